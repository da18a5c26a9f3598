//! Second Look: what is wrong with a lesson as it stands on the screen, saved or not.

use super::lessons::bad;
use crate::app::{App, compute};
use crate::body::Body;
use crate::error::{ApiError, Failure};
use crate::session::SignedIn;
use axum::Json;
use serde::Deserialize;
use teaching::Lesson;
use teaching::second_look::{Look, mended, second_look};
use utoipa::ToSchema;
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

pub(crate) fn router() -> OpenApiRouter<App> {
    OpenApiRouter::new().routes(routes!(look_over)).routes(routes!(mend_finding))
}

/// A finding of a lesson to be mended.
#[derive(Deserialize, ToSchema)]
struct ToMend {
    lesson: Lesson,
    /// The name of the finding.
    name: String,
}

/// Looks a lesson over.
#[utoipa::path(post, path = "/api/second-look", request_body = Lesson,
    responses((status = 200, body = Look), (status = "default", body = Failure)))]
async fn look_over(_teacher: SignedIn, Body(lesson): Body<Lesson>) -> Result<Json<Look>, ApiError> {
    lesson.check().map_err(bad)?;
    Ok(Json(compute(move || second_look(&lesson)).await?))
}

/// The lesson with one finding mended.
#[utoipa::path(post, path = "/api/second-look/mend", request_body = ToMend,
    responses((status = 200, body = Lesson), (status = "default", body = Failure)))]
async fn mend_finding(
    _teacher: SignedIn,
    Body(to_mend): Body<ToMend>,
) -> Result<Json<Lesson>, ApiError> {
    to_mend.lesson.check().map_err(bad)?;
    let lesson = compute(move || mended(&to_mend.lesson, &to_mend.name)).await?;
    lesson
        .map(Json)
        .ok_or_else(|| ApiError::bad("This has been changed in the meantime. Look again."))
}
