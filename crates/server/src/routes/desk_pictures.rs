//! Pictures of what stands on a Step Desk: of one step, and of a whole working.

use crate::app::App;
use crate::error::{ApiError, Failure};
use crate::extract::Path;
use crate::routes::desks::{Seat, seat, told, waits};
use crate::work::Asker;
use axum::Json;
use axum::extract::State;
use axum::http::header::CONTENT_TYPE;
use axum::response::{IntoResponse, Response};
use desk::JudgedLine;
use drawing::Scene;
use paper::sheets::working::PictureLine;
use serde::Serialize;
use store::ladder::STRONGEST_HINT;
use teaching::picture::LinePicture;
use tower_sessions::Session;
use utoipa::ToSchema;
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

pub(crate) fn router() -> OpenApiRouter<App> {
    OpenApiRouter::new().routes(routes!(picture_of_step)).routes(routes!(picture_of_working))
}

/// The pictures of one line.
#[derive(Serialize, ToSchema)]
struct LineScenes {
    /// The line, typeset.
    latex: String,
    /// Both sides as curves.
    #[serde(skip_serializing_if = "Option::is_none")]
    curves: Option<Scene>,
    /// The solutions on a number line.
    #[serde(skip_serializing_if = "Option::is_none")]
    solutions: Option<Scene>,
}

/// A step as pictures: of the line above and of the line itself.
#[derive(Serialize, ToSchema)]
struct StepScenes {
    above: LineScenes,
    line: LineScenes,
}

/// Draws a saved line and the one above it, in one window.
#[utoipa::path(get, path = "/api/desk/{link}/rungs/{number}/lines/{line}/picture",
    params(("link" = String, Path), ("number" = u16, Path), ("line" = usize, Path)),
    responses((status = 200, body = StepScenes), (status = "default", body = Failure)))]
async fn picture_of_step(
    State(app): State<App>,
    session: Session,
    Path((link, number, line)): Path<(String, u16, usize)>,
) -> Result<Json<StepScenes>, ApiError> {
    let Seat { mut kept, given, desk, index, progress } =
        seat(&app, &session, &link, number).await?;
    if waits(given.as_ref(), progress) {
        return Err(ApiError::not_found("The picture comes when your work is given back."));
    }
    let written = desk.written.into_iter().find(|w| w.rung == number);
    // Where curves meet is what is asked: a picture is the strongest help, or comes with the answer.
    let is_found = written.as_ref().is_some_and(|written| written.judgement.answered);
    if kept.hints < STRONGEST_HINT && !is_found {
        return Err(ApiError::not_found("The picture comes once the answer stands there."));
    }
    let lines = written.map(|written| written.lines);
    let rung = kept.ladder.rungs.swap_remove(index);
    let scenes = |picture: LinePicture| LineScenes {
        latex: picture.latex,
        curves: picture.curves.as_ref().map(drawing::draw),
        solutions: picture.solutions.as_ref().map(drawing::draw),
    };
    let draw = move || {
        let lines = lines.as_deref().unwrap_or_default();
        let (above, line) = desk::step(&rung, lines, line.checked_sub(1)?)?;
        let [above, line] = teaching::picture::of_step(&above, &line)?.map(scenes);
        Some(StepScenes { above, line })
    };
    let drawn = app.pools.judging.run(Asker::student(kept.id, desk.id), draw).await?;
    let nothing = || ApiError::not_found("There is nothing to draw for this step.");
    Ok(Json(drawn.ok_or_else(nothing)?))
}

/// The saved lines of a rung as a picture that can be copied.
#[utoipa::path(get, path = "/api/desk/{link}/rungs/{number}/working.svg",
    params(("link" = String, Path), ("number" = u16, Path)),
    responses((status = 200, content_type = "image/svg+xml", body = String),
              (status = "default", body = Failure)))]
async fn picture_of_working(
    State(app): State<App>,
    session: Session,
    Path((link, number)): Path<(String, u16)>,
) -> Result<Response, ApiError> {
    let Seat { kept, given, desk, index, progress } = seat(&app, &session, &link, number).await?;
    let waits = waits(given.as_ref(), progress);
    let written = desk.written.into_iter().find(|w| w.rung == number);
    let judged = written.map(|w| told(w.judgement, 0, waits).lines).unwrap_or_default();
    let problem = kept.ladder.rungs[index].prompt.clone();
    let line = |line: JudgedLine| PictureLine {
        line: if line.reading.is_empty() { line.plain } else { format!("${}$", line.reading) },
        beside: line.verdict.made,
    };
    let first = PictureLine { line: problem, beside: String::new() };
    let lines: Vec<_> = std::iter::once(first).chain(judged.into_iter().map(line)).collect();
    let asker = Asker::student(kept.id, desk.id);
    let made = app.pools.sheets.run(asker, move || paper::sheets::working::picture(&lines));
    let svg = made.await?.map_err(|error| ApiError::internal(&error))?;
    Ok(([(CONTENT_TYPE, "image/svg+xml")], svg).into_response())
}
