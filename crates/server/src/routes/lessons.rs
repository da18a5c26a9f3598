//! The shelf and its lessons.

use crate::app::{App, compute};
use crate::body::Body;
use crate::error::{ApiError, Failure};
use crate::session::SignedIn;
use axum::Json;
use axum::extract::{Path, State};
use drawing::Scene;
use serde::{Deserialize, Serialize};
use store::lesson::{LessonId, OnShelf};
use teaching::Lesson;
use teaching::figure::Figure;
use teaching::lesson::{BadLesson, Checked};
use teaching::skill::Strand;
use utoipa::ToSchema;
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

pub(crate) fn router() -> OpenApiRouter<App> {
    OpenApiRouter::new()
        .routes(routes!(shelf, create_lesson))
        .routes(routes!(open_lesson, save_lesson))
}

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

/// A lesson, opened.
#[derive(Serialize, ToSchema)]
struct LessonView {
    id: LessonId,
    /// What a save must be based on.
    revision: u32,
    lesson: Lesson,
    /// What was proved on each slide, in their order.
    checked: Vec<Checked>,
    /// Minutes that the phases are over the length, or short of it when negative.
    minutes_over: i32,
    /// Its pictures, drawn, each once.
    pictures: Vec<Drawing>,
}

/// A picture, drawn.
#[derive(Serialize, ToSchema)]
pub(crate) struct Drawing {
    figure: Figure,
    scene: Scene,
}

/// Pictures, drawn, each once.
pub(crate) fn drawn<'a>(figures: impl Iterator<Item = &'a Figure>) -> Vec<Drawing> {
    let mut known: Vec<&Figure> = Vec::new();
    for figure in figures {
        if !known.contains(&figure) {
            known.push(figure);
        }
    }
    let one = |figure: &Figure| Drawing { scene: drawing::draw(figure), figure: figure.clone() };
    known.into_iter().map(one).collect()
}

impl LessonView {
    fn of(id: LessonId, revision: u32, lesson: Lesson) -> Self {
        let checked = lesson.slides.iter().map(teaching::lesson::Slide::checked).collect();
        Self {
            id,
            revision,
            checked,
            minutes_over: lesson.minutes_over(),
            pictures: drawn(lesson.figures()),
            lesson,
        }
    }
}

/// A changed lesson.
#[derive(Deserialize, ToSchema)]
struct ChangedLesson {
    /// The revision that was changed.
    based_on: u32,
    lesson: Lesson,
}

fn bad(why: BadLesson) -> ApiError {
    ApiError::bad(why.0)
}

/// Every lesson of the teacher.
#[utoipa::path(get, path = "/api/lessons",
    responses((status = 200, body = Vec<ShelfEntry>), (status = "default", body = Failure)))]
async fn shelf(
    State(app): State<App>,
    teacher: SignedIn,
) -> Result<Json<Vec<ShelfEntry>>, ApiError> {
    let shelf = store::lesson::shelf(&app.db, teacher.0).await?;
    Ok(Json(shelf.into_iter().map(ShelfEntry::from).collect()))
}

/// Makes a new lesson.
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

/// Opens a lesson.
#[utoipa::path(get, path = "/api/lessons/{id}", params(("id" = u64, Path)),
    responses((status = 200, body = LessonView), (status = "default", body = Failure)))]
async fn open_lesson(
    State(app): State<App>,
    teacher: SignedIn,
    Path(id): Path<LessonId>,
) -> Result<Json<LessonView>, ApiError> {
    let kept = store::lesson::find(&app.db, teacher.0, id).await?;
    Ok(Json(LessonView::of(id, kept.revision, kept.lesson)))
}

/// Saves a changed lesson. A worked example that was not kept before is worked again here, so that
/// what is called proved was proved by us.
#[utoipa::path(put, path = "/api/lessons/{id}", params(("id" = u64, Path)),
    request_body = ChangedLesson,
    responses((status = 200, body = LessonView), (status = "default", body = Failure)))]
async fn save_lesson(
    State(app): State<App>,
    teacher: SignedIn,
    Path(id): Path<LessonId>,
    Body(changed): Body<ChangedLesson>,
) -> Result<Json<LessonView>, ApiError> {
    let before = store::lesson::find(&app.db, teacher.0, id).await?;
    let proved = compute(move || changed.lesson.proved(&before.lesson)).await?.map_err(bad)?;
    let revision = store::lesson::save(&app.db, teacher.0, id, changed.based_on, &proved).await?;
    Ok(Json(LessonView::of(id, revision, proved)))
}
