//! Ladders: drawn, hung on a lesson, printed, and what the class wrote on them.

use crate::app::{App, compute};
use crate::body::Body;
use crate::error::{ApiError, Failure};
use crate::routes::lessons::Made;
use crate::session::SignedIn;
use axum::Json;
use axum::extract::{Path, Query, State};
use axum::http::StatusCode;
use axum::http::header::{CONTENT_DISPOSITION, CONTENT_TYPE};
use axum::response::{IntoResponse, Response};
use drawing::Scene;
use serde::{Deserialize, Serialize};
use store::ladder::{KeptLadder, LadderId};
use store::lesson::LessonId;
use teaching::desk::JudgedLine;
use teaching::ladder::{Ladder, LadderOrder, Rung};
use utoipa::{IntoParams, ToSchema};
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

pub(crate) fn router() -> OpenApiRouter<App> {
    OpenApiRouter::new()
        .routes(routes!(draw_ladder))
        .routes(routes!(ladders_of_lesson, hang_ladder))
        .routes(routes!(open_ladder))
        .routes(routes!(sheet_pdf))
        .routes(routes!(key_pdf))
        .routes(routes!(desks_of_ladder))
        .routes(routes!(allow_hints))
}

/// A rung with its place and its picture.
#[derive(Serialize, ToSchema)]
struct RungView {
    /// From 1.
    number: usize,
    rung: Rung,
    #[serde(skip_serializing_if = "Option::is_none")]
    scene: Option<Scene>,
}

/// A ladder, opened.
#[derive(Serialize, ToSchema)]
struct LadderView {
    id: LadderId,
    lesson: LessonId,
    title: String,
    /// The address of its Step Desk within this site.
    desk: String,
    /// The strongest hint that students are given there, from 0 to 3.
    hints: u8,
    seed: u64,
    rungs: Vec<RungView>,
}

/// A ladder as it hangs on a lesson.
#[derive(Serialize, ToSchema)]
struct LadderEntry {
    id: LadderId,
    title: String,
    desk: String,
    rungs: usize,
}

/// A ladder to be hung on a lesson.
#[derive(Deserialize, ToSchema)]
struct NewLadder {
    title: String,
    order: LadderOrder,
}

/// What a student wrote.
#[derive(Serialize, ToSchema)]
struct DeskEntry {
    student: String,
    rungs: Vec<WrittenRung>,
}

/// What stands on one rung.
#[derive(Serialize, ToSchema)]
struct WrittenRung {
    /// The rung's number, from 1.
    number: u16,
    lines: Vec<JudgedLine>,
    /// Answered, with no line above that breaks.
    finished: bool,
    answered: bool,
}

/// How strong a hint students may be given.
#[derive(Deserialize, ToSchema)]
struct Hints {
    /// 0 for none, up to 3.
    hints: u8,
}

/// How much a key holds.
#[derive(Deserialize, IntoParams)]
struct KeyQuery {
    /// With every working.
    #[serde(default)]
    full: bool,
}

fn desk_path(link: &str) -> String {
    format!("/desk/{link}")
}

fn views(rungs: Vec<Rung>) -> Vec<RungView> {
    let view = |(index, rung): (usize, Rung)| RungView {
        number: index + 1,
        scene: rung.figure.as_ref().map(drawing::draw),
        rung,
    };
    rungs.into_iter().enumerate().map(view).collect()
}

async fn made(order: LadderOrder) -> Result<Ladder, ApiError> {
    compute(move || Ladder::make(&order)).await?.map_err(|why| ApiError::bad(why.says()))
}

/// Draws a ladder without keeping it: the same order gives the same ladder.
#[utoipa::path(post, path = "/api/ladders/draw", request_body = LadderOrder,
    responses((status = 200, body = Vec<RungView>), (status = "default", body = Failure)))]
async fn draw_ladder(
    _teacher: SignedIn,
    Body(order): Body<LadderOrder>,
) -> Result<Json<Vec<RungView>>, ApiError> {
    Ok(Json(views(made(order).await?.rungs)))
}

/// Hangs a ladder on a lesson.
#[utoipa::path(post, path = "/api/lessons/{id}/ladders", params(("id" = u64, Path)),
    request_body = NewLadder,
    responses((status = 200, body = Made), (status = "default", body = Failure)))]
async fn hang_ladder(
    State(app): State<App>,
    teacher: SignedIn,
    Path(lesson): Path<LessonId>,
    Body(new): Body<NewLadder>,
) -> Result<Json<Made>, ApiError> {
    let title = new.title.trim();
    if title.is_empty() || title.chars().count() > 120 {
        return Err(ApiError::bad("Give the ladder a title of at most 120 characters."));
    }
    let ladder = made(new.order).await?;
    let id = store::ladder::create(&app.db, teacher.0, lesson, title, &ladder).await?;
    Ok(Json(Made { id }))
}

/// The ladders that hang on a lesson.
#[utoipa::path(get, path = "/api/lessons/{id}/ladders", params(("id" = u64, Path)),
    responses((status = 200, body = Vec<LadderEntry>), (status = "default", body = Failure)))]
async fn ladders_of_lesson(
    State(app): State<App>,
    teacher: SignedIn,
    Path(lesson): Path<LessonId>,
) -> Result<Json<Vec<LadderEntry>>, ApiError> {
    let entry = |kept: KeptLadder| LadderEntry {
        id: kept.id,
        title: kept.title,
        desk: desk_path(&kept.link),
        rungs: kept.ladder.rungs.len(),
    };
    let all = store::ladder::of_lesson(&app.db, teacher.0, lesson).await?;
    Ok(Json(all.into_iter().map(entry).collect()))
}

/// Opens a ladder.
#[utoipa::path(get, path = "/api/ladders/{id}", params(("id" = u64, Path)),
    responses((status = 200, body = LadderView), (status = "default", body = Failure)))]
async fn open_ladder(
    State(app): State<App>,
    teacher: SignedIn,
    Path(id): Path<LadderId>,
) -> Result<Json<LadderView>, ApiError> {
    let kept = store::ladder::find(&app.db, teacher.0, id).await?;
    Ok(Json(LadderView {
        id,
        lesson: kept.lesson,
        title: kept.title,
        desk: desk_path(&kept.link),
        hints: kept.hints,
        seed: kept.ladder.seed,
        rungs: views(kept.ladder.rungs),
    }))
}

/// The sheet for students, as PDF.
#[utoipa::path(get, path = "/api/ladders/{id}/sheet.pdf", params(("id" = u64, Path)),
    responses((status = 200, content_type = "application/pdf", body = Vec<u8>),
              (status = "default", body = Failure)))]
async fn sheet_pdf(
    State(app): State<App>,
    teacher: SignedIn,
    Path(id): Path<LadderId>,
) -> Result<Response, ApiError> {
    print(app, teacher, id, "sheet", paper::sheets::ladder::sheet).await
}

/// The key, as PDF.
#[utoipa::path(get, path = "/api/ladders/{id}/key.pdf", params(("id" = u64, Path), KeyQuery),
    responses((status = 200, content_type = "application/pdf", body = Vec<u8>),
              (status = "default", body = Failure)))]
async fn key_pdf(
    State(app): State<App>,
    teacher: SignedIn,
    Path(id): Path<LadderId>,
    Query(asked): Query<KeyQuery>,
) -> Result<Response, ApiError> {
    let what = if asked.full { "full-key" } else { "key" };
    let make =
        move |title: &str, ladder: &Ladder| paper::sheets::ladder::key(title, ladder, asked.full);
    print(app, teacher, id, what, make).await
}

async fn print(
    app: App,
    teacher: SignedIn,
    id: LadderId,
    what: &str,
    make: impl FnOnce(&str, &Ladder) -> Result<paper::Pdf, paper::PaperError> + Send + 'static,
) -> Result<Response, ApiError> {
    let kept = store::ladder::find(&app.db, teacher.0, id).await?;
    let permit = app.sheets.clone().acquire_owned().await.map_err(|e| ApiError::internal(&e))?;
    let made = compute(move || {
        let _permit = permit;
        make(&kept.title, &kept.ladder)
    });
    let pdf = made.await?.map_err(|error| ApiError::internal(&error))?;
    let name = format!("inline; filename=\"ladder-{id}-{what}.pdf\"");
    let headers = [(CONTENT_TYPE, "application/pdf".to_owned()), (CONTENT_DISPOSITION, name)];
    Ok((headers, pdf.bytes).into_response())
}

/// What the class wrote on a ladder.
#[utoipa::path(get, path = "/api/ladders/{id}/desks", params(("id" = u64, Path)),
    responses((status = 200, body = Vec<DeskEntry>), (status = "default", body = Failure)))]
async fn desks_of_ladder(
    State(app): State<App>,
    teacher: SignedIn,
    Path(id): Path<LadderId>,
) -> Result<Json<Vec<DeskEntry>>, ApiError> {
    let written = |written: store::desk::Written| WrittenRung {
        number: written.rung,
        finished: written.judgement.finished,
        answered: written.judgement.answered,
        lines: written.judgement.lines,
    };
    let entry = |desk: store::desk::Desk| DeskEntry {
        student: desk.student,
        rungs: desk.written.into_iter().map(written).collect(),
    };
    let all = store::desk::of_ladder(&app.db, teacher.0, id).await?;
    Ok(Json(all.into_iter().map(entry).collect()))
}

/// Sets how strong a hint students are given on a ladder's Step Desk.
#[utoipa::path(put, path = "/api/ladders/{id}/hints", params(("id" = u64, Path)),
    request_body = Hints,
    responses((status = 204), (status = "default", body = Failure)))]
async fn allow_hints(
    State(app): State<App>,
    teacher: SignedIn,
    Path(id): Path<LadderId>,
    Body(asked): Body<Hints>,
) -> Result<StatusCode, ApiError> {
    if asked.hints > store::ladder::STRONGEST_HINT {
        return Err(ApiError::bad("Hints come in three strengths: choose 0, 1, 2 or 3."));
    }
    store::ladder::set_hints(&app.db, teacher.0, id, asked.hints).await?;
    Ok(StatusCode::NO_CONTENT)
}
