//! The shelf: lessons begun, found, copied, put away and brought back.

use super::lessons::bad;
use crate::app::{App, compute};
use crate::body::Body;
use crate::error::{ApiError, Failure};
use crate::session::SignedIn;
use axum::Json;
use axum::extract::{Path, Query, State};
use serde::{Deserialize, Serialize};
use store::lesson::{LessonId, OnShelf};
use teaching::Lesson;
use teaching::lesson::{BadLesson, Checked, Slide, Wanted};
use teaching::skill::Strand;
use utoipa::{IntoParams, ToSchema};
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

pub(crate) fn router() -> OpenApiRouter<App> {
    OpenApiRouter::new()
        .routes(routes!(shelf, create_lesson))
        .routes(routes!(offer_lesson))
        .routes(routes!(copy_lesson))
        .routes(routes!(take_in_lesson))
        .routes(routes!(send_slide))
        .routes(routes!(place_lesson))
}

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

/// Makes a lesson of a file. What it claims is proved again; ladders and images that belong elsewhere stay there.
#[utoipa::path(post, path = "/api/lessons/file", request_body = FileOfLesson,
    responses((status = 200, body = Made), (status = "default", body = Failure)))]
async fn take_in_lesson(
    State(app): State<App>,
    teacher: SignedIn,
    Body(file): Body<FileOfLesson>,
) -> Result<Json<Made>, ApiError> {
    let lesson = compute(move || match serde_json::from_str::<Lesson>(&file.text) {
        Ok(lesson) => lesson.taken_in(),
        Err(_) if file.text.trim_start().starts_with('{') => Err(BadLesson(
            "This file is no lesson of Honey Ladder. Choose one that was saved from here, or a text.".into(),
        )),
        Err(_) => Lesson::from_text(&file.text, file.grade, file.strand, file.minutes),
    })
    .await?
    .map_err(bad)?;
    Ok(Json(Made { id: store::lesson::create(&app.db, teacher.0, &lesson).await? }))
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
