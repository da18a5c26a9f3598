//! A lesson: opened, saved, and what its editor asks for.

use crate::app::App;
use crate::error::{ApiError, Failure};
use crate::extract::{Body, Path};
use crate::session::SignedIn;
use axum::Json;
use axum::extract::State;
use desk::{DeskLine, Judgement, MOST_LINES, judge_board};
use drawing::Scene;
use lesson::Lesson;
use lesson::{
    BadLesson, Block, BlockKind, Checked, Mend, Phase, PictureCard, PictureOrder, PracticeOrder,
    Slide, SlideReveal, mends, picture_cards,
};
use serde::{Deserialize, Serialize};
use store::LessonId;
use teaching::figure::Figure;
use utoipa::ToSchema;
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

pub(crate) fn router() -> OpenApiRouter<App> {
    OpenApiRouter::new()
        .routes(routes!(open_lesson, save_lesson))
        .routes(routes!(mend_phases))
        .routes(routes!(draw_practice))
        .routes(routes!(reveal_slide))
        .routes(routes!(picture_list, draw_picture))
        .routes(routes!(judge_spare_board))
}

/// A lesson, opened.
#[derive(Serialize, ToSchema)]
pub(crate) struct LessonView {
    id: LessonId,
    /// What a save must be based on.
    revision: u32,
    lesson: Lesson,
    /// What was proved on each slide, in their order.
    checked: Vec<Checked>,
    /// How each slide is revealed, in their order.
    reveals: Vec<SlideReveal>,
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
    pub(crate) fn of(id: LessonId, revision: u32, lesson: Lesson) -> Self {
        let checked = lesson.slides.iter().map(lesson::Slide::checked).collect();
        Self {
            id,
            revision,
            checked,
            reveals: lesson.slides.iter().map(Slide::reveal).collect(),
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

pub(crate) fn bad(why: BadLesson) -> ApiError {
    ApiError::bad(why.0)
}

/// Opens a lesson.
#[utoipa::path(get, path = "/api/lessons/{id}", params(("id" = u64, Path)),
    responses((status = 200, body = LessonView), (status = "default", body = Failure)))]
async fn open_lesson(
    State(app): State<App>,
    teacher: SignedIn,
    Path(id): Path<LessonId>,
) -> Result<Json<LessonView>, ApiError> {
    let kept = store::lesson::find(&app.db, app.editor(teacher, id).await?, id).await?;
    let view = move || LessonView::of(id, kept.revision, kept.lesson.clone());
    Ok(Json(app.make(teacher, view).await?))
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
    let before = store::lesson::find(&app.db, app.editor(teacher, id).await?, id).await?;
    let based_on = changed.based_on;
    let view = move || {
        let proved = changed.lesson.clone().proved(&before.lesson).map_err(bad)?;
        Ok::<_, ApiError>(LessonView::of(id, based_on, proved))
    };
    let mut view = app.make(teacher, view).await??;
    let saved =
        store::lesson::save(&app.db, app.editor(teacher, id).await?, id, based_on, &view.lesson)
            .await;
    view.revision = saved?;
    Ok(Json(view))
}

/// Phases of a plan with the length of its lesson.
#[derive(Deserialize, ToSchema)]
struct Timed {
    phases: Vec<Phase>,
    /// The length in minutes.
    minutes: u16,
}

/// Ways to make phases add up to the length of the lesson; none where they do.
#[utoipa::path(post, path = "/api/lessons/mends", request_body = Timed,
    responses((status = 200, body = Vec<Mend>), (status = "default", body = Failure)))]
async fn mend_phases(
    _teacher: SignedIn,
    Body(timed): Body<Timed>,
) -> Result<Json<Vec<Mend>>, ApiError> {
    if timed.phases.len() > 12 {
        return Err(ApiError::bad("A plan has at most 12 phases."));
    }
    Ok(Json(mends(&timed.phases, timed.minutes)))
}

/// A block that was made, with its pictures.
#[derive(Serialize, ToSchema)]
struct MadeBlock {
    block: Block,
    pictures: Vec<Drawing>,
}

/// Draws a problem for a slide, or poses one that was typed.
#[utoipa::path(post, path = "/api/lessons/practice", request_body = PracticeOrder,
    responses((status = 200, body = MadeBlock), (status = "default", body = Failure)))]
async fn draw_practice(
    State(app): State<App>,
    teacher: SignedIn,
    Body(order): Body<PracticeOrder>,
) -> Result<Json<MadeBlock>, ApiError> {
    let made = move || {
        let block = order.clone().block().map_err(bad)?;
        Ok::<_, ApiError>(MadeBlock { pictures: drawn(block.figures().into_iter()), block })
    };
    Ok(Json(app.make(teacher, made).await??))
}

/// How a slide is revealed that was changed where it is shown, and is not kept.
#[utoipa::path(post, path = "/api/slides/reveal", request_body = Slide,
    responses((status = 200, body = SlideReveal), (status = "default", body = Failure)))]
async fn reveal_slide(
    State(app): State<App>,
    teacher: SignedIn,
    Body(slide): Body<Slide>,
) -> Result<Json<SlideReveal>, ApiError> {
    slide.check().map_err(bad)?;
    Ok(Json(app.make(teacher, move || slide.reveal()).await?))
}

/// The pictures that can be chosen by hand.
#[utoipa::path(get, path = "/api/pictures",
    responses((status = 200, body = Vec<PictureCard>), (status = "default", body = Failure)))]
async fn picture_list(_teacher: SignedIn) -> Json<Vec<PictureCard>> {
    Json(picture_cards())
}

/// Draws a picture from the values that were typed for it.
#[utoipa::path(post, path = "/api/pictures", request_body = PictureOrder,
    responses((status = 200, body = Drawing), (status = "default", body = Failure)))]
async fn draw_picture(
    State(app): State<App>,
    teacher: SignedIn,
    Body(order): Body<PictureOrder>,
) -> Result<Json<Drawing>, ApiError> {
    let made = move || {
        let figure = order.figure().map_err(bad)?;
        Ok::<_, ApiError>(Drawing { scene: drawing::draw(&figure), figure })
    };
    Ok(Json(app.make(teacher, made).await??))
}

/// The lines of a spare board.
#[derive(Deserialize, ToSchema)]
struct BoardLines {
    lines: Vec<DeskLine>,
}

/// Judges a spare board: each line by the one above it.
#[utoipa::path(post, path = "/api/board", request_body = BoardLines,
    responses((status = 200, body = Judgement), (status = "default", body = Failure)))]
async fn judge_spare_board(
    State(app): State<App>,
    teacher: SignedIn,
    Body(board): Body<BoardLines>,
) -> Result<Json<Judgement>, ApiError> {
    if board.lines.len() > MOST_LINES || board.lines.iter().any(|line| line.text.len() > 2_000) {
        return Err(ApiError::bad("A board holds 60 lines of at most 2000 characters."));
    }
    Ok(Json(app.make(teacher, move || judge_board(&board.lines)).await?))
}
