//! The shelf: lessons begun, found, copied, put away and brought back.

use super::ladders::LONGEST_TITLE;
use super::lessons::bad;
use crate::app::App;
use crate::error::{ApiError, Failure};
use crate::extract::{Body, Path, Query};
use crate::session::SignedIn;
use axum::Json;
use axum::extract::{DefaultBodyLimit, State};
use axum::http::header::CONTENT_DISPOSITION;
use axum::response::IntoResponse;
use base64::prelude::{BASE64_STANDARD, Engine as _};
use drawing::image::taken_in;
use lesson::Lesson;
use lesson::bench::Plan;
use lesson::{Checked, LessonFile, Slide, Wanted};
use serde::{Deserialize, Serialize};
use std::collections::BTreeMap;
use store::lesson::{New, NewImage, NewLadder, OnShelf};
use store::{ImageId, LessonId, StoreError, TeacherId};
use teaching::skill::Strand;
use utoipa::{IntoParams, ToSchema};
use utoipa_axum::router::{OpenApiRouter, UtoipaMethodRouterExt as _};
use utoipa_axum::routes;

pub(crate) fn router() -> OpenApiRouter<App> {
    OpenApiRouter::new()
        .routes(routes!(shelf, create_lesson))
        .routes(routes!(offer_lesson))
        .routes(routes!(copy_lesson))
        .routes(routes!(take_in_lesson).layer(DefaultBodyLimit::max(FILE_BYTES)))
        .routes(routes!(lesson_as_file))
        .routes(routes!(send_slide))
        .routes(routes!(place_lesson))
}

/// Largest lesson with its images as a file, in bytes.
const FILE_BYTES: usize = 24 << 20;
/// Longest words that are looked for, in characters.
pub(crate) const LONGEST_QUERY: usize = 100;

/// A lesson as it stands on the shelf.
#[derive(Serialize, ToSchema)]
struct ShelfEntry {
    id: LessonId,
    title: String,
    topic: String,
    grade: u8,
    strand: Strand,
    minutes: u16,
    slides: u16,
    ladders: u32,
    checked: Checked,
}

/// A page of a shelf.
#[derive(Serialize, ToSchema)]
struct ShelfPage {
    entries: Vec<ShelfEntry>,
    /// Where the next page begins; absent on the last one.
    #[serde(skip_serializing_if = "Option::is_none")]
    next: Option<String>,
}

impl From<OnShelf> for ShelfEntry {
    fn from(on: OnShelf) -> Self {
        Self {
            id: on.id,
            title: on.title,
            topic: on.topic,
            grade: on.grade,
            strand: on.strand,
            minutes: on.minutes,
            slides: on.slides,
            ladders: on.ladders,
            checked: on.checked,
        }
    }
}

/// What a new lesson begins with.
#[derive(Deserialize, ToSchema)]
struct NewLesson {
    topic: String,
    /// The school year; kindergarten is 0.
    grade: u8,
    strand: Strand,
    minutes: u16,
}

/// The id of something new.
#[derive(Serialize, ToSchema)]
pub(crate) struct Made {
    pub id: u64,
}

/// Where a lesson stands.
#[derive(Clone, Copy, Default, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
enum ShelfPlace {
    /// On the shelf.
    #[default]
    Shelf,
    /// Put away: kept, and out of sight.
    Archive,
    /// In the bin, from which it can come back.
    Bin,
}

impl From<ShelfPlace> for store::lesson::Place {
    fn from(place: ShelfPlace) -> Self {
        match place {
            ShelfPlace::Shelf => Self::Shelf,
            ShelfPlace::Archive => Self::Archive,
            ShelfPlace::Bin => Self::Bin,
        }
    }
}

/// Which lessons are looked for.
#[derive(Deserialize, IntoParams)]
struct Looked {
    /// Where they stand; on the shelf when absent.
    #[serde(default)]
    #[param(inline)]
    place: ShelfPlace,
    /// Words that their titles or contents hold; all lessons when absent.
    #[serde(default)]
    words: String,
    /// Where the page before ended; the first page when absent.
    after: Option<String>,
}

/// Where a lesson is put.
#[derive(Deserialize, ToSchema)]
struct Put {
    place: ShelfPlace,
}

/// The lessons of the teacher, found by where they stand and by words in them, page by page.
#[utoipa::path(get, path = "/api/lessons", params(Looked),
    responses((status = 200, body = ShelfPage), (status = "default", body = Failure)))]
async fn shelf(
    State(app): State<App>,
    teacher: SignedIn,
    Query(looked): Query<Looked>,
) -> Result<Json<ShelfPage>, ApiError> {
    if looked.words.chars().count() > LONGEST_QUERY {
        return Err(ApiError::bad("Look for at most 100 characters."));
    }
    let (place, after) = (looked.place.into(), looked.after.as_deref());
    let page = store::lesson::shelf(&app.db, teacher.0, place, &looked.words, after).await?;
    let entries = page.entries.into_iter().map(ShelfEntry::from).collect();
    Ok(Json(ShelfPage { entries, next: page.next }))
}

/// Makes a new lesson with nothing on it yet.
#[utoipa::path(post, path = "/api/lessons", request_body = NewLesson,
    responses((status = 200, body = Made), (status = "default", body = Failure)))]
async fn create_lesson(
    State(app): State<App>,
    teacher: SignedIn,
    Body(new): Body<NewLesson>,
) -> Result<Json<Made>, ApiError> {
    let lesson = Lesson::new(&new.topic, new.grade, new.strand, new.minutes).map_err(bad)?;
    made(&app, teacher, lesson).await
}

/// Makes a whole lesson of a skill, from its starter to its exit ticket, with its ladder.
#[utoipa::path(post, path = "/api/lessons/offer", request_body = Wanted,
    responses((status = 200, body = Made), (status = "default", body = Failure)))]
async fn offer_lesson(
    State(app): State<App>,
    teacher: SignedIn,
    Body(wanted): Body<Wanted>,
) -> Result<Json<Made>, ApiError> {
    let new = move || {
        let offer = wanted.offer().map_err(bad)?;
        let (ladder, plan) = (offer.ladder.ladder()?, offer.ladder);
        // Where a ladder waits for its number, it is named by none.
        let hung = NewLadder { named: 0, title: plan.title.clone(), ladder, plan: Some(plan) };
        Ok::<_, ApiError>(New { ladders: vec![hung], ..offer.lesson.into() })
    };
    let new = app.make(teacher, new).await??;
    made(&app, teacher, new).await
}

/// Keeps a new lesson with all that goes onto it.
async fn made(app: &App, teacher: SignedIn, new: impl Into<New>) -> Result<Json<Made>, ApiError> {
    let LessonId(id) = store::lesson::create(&app.db, teacher.0, new).await?;
    Ok(Json(Made { id }))
}

/// A file to make a lesson of.
#[derive(Deserialize, ToSchema)]
struct FileOfLesson {
    /// What is in it: a lesson as JSON, as it was saved from here, or a text in CommonMark.
    text: String,
    /// The school year, for a text; kindergarten is 0.
    grade: u8,
    strand: Strand,
    minutes: u16,
}

/// Makes a lesson of a file. What it claims is proved again, its images are made safe again, and its ladders are drawn
/// again; those that are not in the file are left out.
#[utoipa::path(post, path = "/api/lessons/file", request_body = FileOfLesson,
    responses((status = 200, body = Made), (status = "default", body = Failure)))]
async fn take_in_lesson(
    State(app): State<App>,
    teacher: SignedIn,
    Body(file): Body<FileOfLesson>,
) -> Result<Json<Made>, ApiError> {
    if !file.text.trim_start().starts_with('{') {
        if file.text.len() > second_look::LONGEST {
            return Err(ApiError::bad(
                "A text has room for 200,000 characters. Split it into lessons.",
            ));
        }
        let read = move || {
            second_look::lesson_from_text(&file.text, file.grade, file.strand, file.minutes)
        };
        let lesson = app.make(teacher, read).await?.map_err(bad)?;
        return made(&app, teacher, lesson).await;
    }
    let new = app.make(teacher, move || unpacked(&file.text)).await??;
    made(&app, teacher, new).await
}

/// What a file of ours holds, everything in it checked.
fn unpacked(text: &str) -> Result<New, ApiError> {
    let file = LessonFile::read(text).map_err(bad)?;
    let lesson = file.proved().map_err(bad)?;
    let mut images = Vec::new();
    for (&named, coded) in &file.images {
        let bytes = BASE64_STANDARD.decode(coded).map_err(|_| {
            ApiError::bad(
                "An image in this file is damaged. Save the lesson again, and take in that file.",
            )
        })?;
        let (kind, bytes) = taken_in(&bytes).map_err(ApiError::bad)?;
        images.push(NewImage { named, kind: kind.name().into(), bytes });
    }
    let mut ladders = Vec::new();
    for (named, plan) in file.ladders {
        let ladder = plan.ladder()?;
        let title = if plan.title.trim().is_empty() { &lesson.title } else { &plan.title };
        let title = title.chars().take(LONGEST_TITLE).collect();
        ladders.push(NewLadder { named, title, ladder, plan: Some(plan) });
    }
    Ok(New { lesson, images, ladders, came_from: None })
}

/// The lesson as a file, with its images and its ladders.
#[utoipa::path(get, path = "/api/lessons/{id}/file", params(("id" = u64, Path)),
    responses((status = 200, body = String, content_type = "application/json"), (status = "default", body = Failure)))]
async fn lesson_as_file(
    State(app): State<App>,
    teacher: SignedIn,
    Path(id): Path<LessonId>,
) -> Result<impl IntoResponse, ApiError> {
    let lesson = store::lesson::find(&app.db, teacher.0, id).await?.lesson;
    let mut images = BTreeMap::new();
    for image in lesson.images() {
        // One that is not theirs is not given away.
        if let Ok((_, bytes)) = store::image::find(&app.db, teacher.0, ImageId(image)).await {
            images.insert(image, BASE64_STANDARD.encode(bytes));
        }
    }
    let hung = store::ladder::of_lesson(&app.db, teacher.0, id).await?;
    let ladders = hung.into_iter().filter_map(|kept| {
        let plan = Plan { title: kept.title, ..kept.plan? };
        Some((kept.id.0, plan))
    });
    let name = file_name(&lesson.title);
    let file = LessonFile { lesson, images, ladders: ladders.collect() };
    Ok(([(CONTENT_DISPOSITION, format!("attachment; filename=\"{name}.json\""))], Json(file)))
}

/// A title as the name of a file: small letters and digits, with hyphens between.
fn file_name(title: &str) -> String {
    let plain = |c: char| if c.is_ascii_alphanumeric() { c.to_ascii_lowercase() } else { ' ' };
    let words: String = title.chars().map(plain).collect();
    let name = words.split_whitespace().collect::<Vec<_>>().join("-");
    if name.is_empty() { "lesson".into() } else { name }
}

/// A slide that is sent to another lesson.
#[derive(Deserialize, ToSchema)]
struct SentSlide {
    slide: Slide,
}

/// Puts a copy of a slide at the end of its phase in another lesson of the same teacher.
#[utoipa::path(post, path = "/api/lessons/{id}/slides", params(("id" = u64, Path)),
    request_body = SentSlide,
    responses((status = 204), (status = "default", body = Failure)))]
async fn send_slide(
    State(app): State<App>,
    teacher: SignedIn,
    Path(id): Path<LessonId>,
    Body(sent): Body<SentSlide>,
) -> Result<axum::http::StatusCode, ApiError> {
    let kept = store::lesson::find(&app.db, teacher.0, id).await?;
    let with = move || kept.lesson.with(sent.slide.clone());
    let lesson = app.make(teacher, with).await?.map_err(bad)?;
    // Somebody who saves in between is told so, as with every save.
    store::lesson::save(&app.db, teacher.0, id, kept.revision, &lesson).await?;
    Ok(axum::http::StatusCode::NO_CONTENT)
}

/// Copies a lesson with its ladders.
#[utoipa::path(post, path = "/api/lessons/{id}/copy", params(("id" = u64, Path)),
    responses((status = 200, body = Made), (status = "default", body = Failure)))]
async fn copy_lesson(
    State(app): State<App>,
    teacher: SignedIn,
    Path(id): Path<LessonId>,
) -> Result<Json<Made>, ApiError> {
    let owner = app.editor(teacher, id).await?;
    let mut new = lesson_to_copy(&app, owner, id).await?;
    if owner == teacher.0 {
        // Images are the teacher's: both lessons show the same ones.
        new.images.clear();
    }
    made(&app, teacher, new).await
}

/// A lesson of that owner as it is copied: with its images and its ladders.
pub(crate) async fn lesson_to_copy(
    app: &App,
    owner: TeacherId,
    id: LessonId,
) -> Result<New, StoreError> {
    let kept = store::lesson::find(&app.db, owner, id).await?;
    let hung = store::ladder::of_lesson(&app.db, owner, id).await?.into_iter();
    let ladders = hung.map(|old| NewLadder {
        named: old.id.0,
        title: old.title,
        ladder: old.ladder,
        plan: old.plan,
    });
    let lesson = kept.lesson.copied();
    let mut images = Vec::new();
    for named in lesson.images() {
        // One that is nobody's of those who edit it is not given away.
        if let Ok((kind, bytes)) = store::share::image(&app.db, owner, ImageId(named)).await {
            images.push(NewImage { named, kind, bytes });
        }
    }
    Ok(New { lesson, images, ladders: ladders.collect(), came_from: None })
}

/// Puts a lesson on the shelf, away, or into the bin.
#[utoipa::path(put, path = "/api/lessons/{id}/place", params(("id" = u64, Path)),
    request_body = Put,
    responses((status = 204), (status = "default", body = Failure)))]
async fn place_lesson(
    State(app): State<App>,
    teacher: SignedIn,
    Path(id): Path<LessonId>,
    Body(put): Body<Put>,
) -> Result<axum::http::StatusCode, ApiError> {
    store::lesson::put(&app.db, teacher.0, id, put.place.into()).await?;
    Ok(axum::http::StatusCode::NO_CONTENT)
}
