//! Second Look: what is wrong with a lesson as it stands on the screen, saved or not.

use super::lessons::bad;
use crate::app::App;
use crate::error::{ApiError, Failure};
use crate::extract::{Body, Path};
use crate::session::SignedIn;
use axum::Json;
use axum::extract::State;
use lesson::Lesson;
use second_look::{Look, Spotted, look_at_ladder, mended, second_look};
use serde::Deserialize;
use store::LadderId;
use utoipa::ToSchema;
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

pub(crate) fn router() -> OpenApiRouter<App> {
    OpenApiRouter::new()
        .routes(routes!(look_over))
        .routes(routes!(mend_finding))
        .routes(routes!(look_over_text))
        .routes(routes!(look_over_ladder))
}

/// A finding of a lesson to be mended.
#[derive(Deserialize, ToSchema)]
struct ToMend {
    lesson: Lesson,
    /// The name of the finding.
    name: String,
}

/// A text to be looked over.
#[derive(Deserialize, ToSchema)]
struct ToLookOver {
    /// CommonMark, with mathematics between dollar signs.
    text: String,
}

/// Looks a text over; the place of each finding is its line.
#[utoipa::path(post, path = "/api/second-look/text", request_body = ToLookOver,
    responses((status = 200, body = Vec<Spotted>), (status = "default", body = Failure)))]
async fn look_over_text(
    State(app): State<App>,
    teacher: SignedIn,
    Body(to): Body<ToLookOver>,
) -> Result<Json<Vec<Spotted>>, ApiError> {
    if to.text.len() > second_look::LONGEST {
        return Err(ApiError::bad("Look over at most 200,000 characters at a time."));
    }
    Ok(Json(app.make(teacher, move || second_look::look_over(&to.text)).await?))
}

/// Looks a ladder over; the place of each finding is its rung.
#[utoipa::path(get, path = "/api/ladders/{id}/second-look", params(("id" = u64, Path)),
    responses((status = 200, body = Vec<Spotted>), (status = "default", body = Failure)))]
async fn look_over_ladder(
    State(app): State<App>,
    teacher: SignedIn,
    Path(id): Path<LadderId>,
) -> Result<Json<Vec<Spotted>>, ApiError> {
    let kept = store::ladder::find(&app.db, teacher.0, id).await?;
    Ok(Json(app.make(teacher, move || look_at_ladder(&kept.ladder)).await?))
}

/// Looks a lesson over.
#[utoipa::path(post, path = "/api/second-look", request_body = Lesson,
    responses((status = 200, body = Look), (status = "default", body = Failure)))]
async fn look_over(
    State(app): State<App>,
    teacher: SignedIn,
    Body(lesson): Body<Lesson>,
) -> Result<Json<Look>, ApiError> {
    lesson.check().map_err(bad)?;
    Ok(Json(app.make(teacher, move || second_look(&lesson)).await?))
}

/// The lesson with one finding mended.
#[utoipa::path(post, path = "/api/second-look/mend", request_body = ToMend,
    responses((status = 200, body = Lesson), (status = "default", body = Failure)))]
async fn mend_finding(
    State(app): State<App>,
    teacher: SignedIn,
    Body(to_mend): Body<ToMend>,
) -> Result<Json<Lesson>, ApiError> {
    to_mend.lesson.check().map_err(bad)?;
    let lesson = app.make(teacher, move || mended(&to_mend.lesson, &to_mend.name)).await?;
    lesson
        .map(Json)
        .ok_or_else(|| ApiError::bad("This has been changed in the meantime. Look again."))
}
