//! The shelf: lessons begun, found, copied, put away and brought back.

use super::ladders::LONGEST_TITLE;
use super::lessons::bad;
use crate::app::{App, compute};
use crate::body::Body;
use crate::error::{ApiError, Failure};
use crate::session::SignedIn;
use axum::Json;
use axum::extract::{DefaultBodyLimit, Path, Query, State};
use axum::http::header::CONTENT_DISPOSITION;
use axum::response::IntoResponse;
use base64::prelude::{BASE64_STANDARD, Engine as _};
use drawing::image::{ImageKind, taken_in};
use lesson::Lesson;
use lesson::bench::Plan;
use lesson::{Checked, LessonFile, Slide, Wanted};
use serde::{Deserialize, Serialize};
use skills::ladder::Ladder;
use std::collections::BTreeMap;
use store::lesson::{LessonId, OnShelf};
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
const LONGEST_QUERY: usize = 100;

/// A lesson as it stands on the shelf.
#[derive(Serialize, ToSchema)]
struct ShelfEntry {
    id: LessonId,
    title: String,
    topic: String,
    grade: u8,
    strand: Strand,
    minutes: u16,
    slides: usize,
    ladders: u32,
    checked: Checked,
}

impl From<OnShelf> for ShelfEntry {
    fn from(on: OnShelf) -> Self {
        Self {
            id: on.id,
            checked: on.lesson.checked(),
            slides: on.lesson.slides.len(),
            title: on.lesson.title,
            topic: on.lesson.topic,
            grade: on.lesson.grade,
            strand: on.lesson.strand,
            minutes: on.lesson.minutes,
            ladders: on.ladders,
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
}

/// Where a lesson is put.
#[derive(Deserialize, ToSchema)]
struct Put {
    place: ShelfPlace,
}

/// The lessons of the teacher, found by where they stand and by words in them.
#[utoipa::path(get, path = "/api/lessons", params(Looked),
    responses((status = 200, body = Vec<ShelfEntry>), (status = "default", body = Failure)))]
async fn shelf(
    State(app): State<App>,
    teacher: SignedIn,
    Query(looked): Query<Looked>,
) -> Result<Json<Vec<ShelfEntry>>, ApiError> {
    if looked.words.chars().count() > LONGEST_QUERY {
        return Err(ApiError::bad("Look for at most 100 characters."));
    }
    let shelf = store::lesson::shelf(&app.db, teacher.0, looked.place.into()).await?;
    let found = shelf.into_iter().filter(|on| on.lesson.says(&looked.words));
    Ok(Json(found.map(ShelfEntry::from).collect()))
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
    Ok(Json(Made { id: store::lesson::create(&app.db, teacher.0, &lesson).await? }))
}

/// Makes a whole lesson of a skill, from its starter to its exit ticket, with its ladder.
#[utoipa::path(post, path = "/api/lessons/offer", request_body = Wanted,
    responses((status = 200, body = Made), (status = "default", body = Failure)))]
async fn offer_lesson(
    State(app): State<App>,
    teacher: SignedIn,
    Body(wanted): Body<Wanted>,
) -> Result<Json<Made>, ApiError> {
    let (mut offer, ladder) = compute(move || {
        let offer = wanted.offer().map_err(bad)?;
        let ladder = offer.ladder.ladder()?;
        Ok::<_, ApiError>((offer, ladder))
    })
    .await??;
    let id = store::lesson::create(&app.db, teacher.0, &offer.lesson).await?;
    let plan = Some(&offer.ladder);
    let title = &offer.ladder.title;
    let hung = store::ladder::create(&app.db, teacher.0, id, title, &ladder, plan).await?;
    offer.lesson.hang(hung);
    store::lesson::complete(&app.db, teacher.0, id, &offer.lesson).await?;
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
        let read = move || {
            second_look::lesson_from_text(&file.text, file.grade, file.strand, file.minutes)
        };
        let lesson = compute(read).await?.map_err(bad)?;
        return Ok(Json(Made { id: store::lesson::create(&app.db, teacher.0, &lesson).await? }));
    }
    let (mut lesson, safe, drawn) = compute(move || unpacked(&file.text)).await??;
    let mut images = BTreeMap::new();
    for (old, kind, bytes) in safe {
        images.insert(old, store::image::create(&app.db, teacher.0, kind.name(), &bytes).await?);
    }
    let id = store::lesson::create(&app.db, teacher.0, &lesson).await?;
    let mut ladders = BTreeMap::new();
    for (old, plan, ladder) in drawn {
        let title = if plan.title.trim().is_empty() { &lesson.title } else { &plan.title };
        let title: String = title.chars().take(LONGEST_TITLE).collect();
        let new =
            store::ladder::create(&app.db, teacher.0, id, &title, &ladder, Some(&plan)).await?;
        ladders.insert(old, new);
    }
    lesson.renumber(&images, &ladders);
    store::lesson::complete(&app.db, teacher.0, id, &lesson).await?;
    Ok(Json(Made { id }))
}

/// What a file of ours holds, everything in it checked: the lesson, its images and its ladders by their old numbers.
type Unpacked = (Lesson, Vec<(u64, ImageKind, Vec<u8>)>, Vec<(u64, Plan, Ladder)>);
fn unpacked(text: &str) -> Result<Unpacked, ApiError> {
    let file = LessonFile::read(text).map_err(bad)?;
    let lesson = file.proved().map_err(bad)?;
    let mut images = Vec::new();
    for (old, coded) in &file.images {
        let bytes = BASE64_STANDARD.decode(coded).map_err(|_| {
            ApiError::bad(
                "An image in this file is damaged. Save the lesson again, and take in that file.",
            )
        })?;
        let (kind, safe) = taken_in(&bytes).map_err(ApiError::bad)?;
        images.push((*old, kind, safe));
    }
    let mut ladders = Vec::new();
    for (old, plan) in file.ladders {
        let ladder = plan.ladder()?;
        ladders.push((old, plan, ladder));
    }
    Ok((lesson, images, ladders))
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
        if let Ok((_, bytes)) = store::image::find(&app.db, teacher.0, image).await {
            images.insert(image, BASE64_STANDARD.encode(bytes));
        }
    }
    let hung = store::ladder::of_lesson(&app.db, teacher.0, id).await?;
    let ladders = hung.into_iter().filter_map(|kept| {
        let plan = Plan { title: kept.title, ..kept.plan? };
        Some((kept.id, plan))
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
    let lesson = compute(move || kept.lesson.with(sent.slide)).await?.map_err(bad)?;
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
    let kept = store::lesson::find(&app.db, teacher.0, id).await?;
    let ladders = store::ladder::of_lesson(&app.db, teacher.0, id).await?;
    let mut copy = kept.lesson.copied();
    let new = store::lesson::create(&app.db, teacher.0, &copy).await?;
    for old in ladders {
        let (title, plan) = (&old.title, old.plan.as_ref());
        let hung = store::ladder::create(&app.db, teacher.0, new, title, &old.ladder, plan).await?;
        copy.rehang(old.id, hung);
    }
    store::lesson::complete(&app.db, teacher.0, new, &copy).await?;
    Ok(Json(Made { id: new }))
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
