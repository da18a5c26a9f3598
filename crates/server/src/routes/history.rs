//! What a lesson was: its versions, and going back to one.

use super::lessons::LessonView;
use crate::app::App;
use crate::error::{ApiError, Failure};
use crate::extract::{Body, Path};
use crate::session::SignedIn;
use axum::Json;
use axum::extract::State;
use serde::{Deserialize, Serialize};
use store::LessonId;
use store::lesson::history;
use utoipa::ToSchema;
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

pub(crate) fn router() -> OpenApiRouter<App> {
    OpenApiRouter::new()
        .routes(routes!(versions))
        .routes(routes!(open_version))
        .routes(routes!(restore_version))
}

/// A version of a lesson.
#[derive(Serialize, ToSchema)]
struct VersionEntry {
    /// The revision that it was.
    revision: u32,
    /// Who saved it.
    teacher: String,
    /// When, in milliseconds since 1970.
    saved_at: i64,
}

/// Going back to a version.
#[derive(Deserialize, ToSchema)]
struct Restored {
    /// The revision that stands now.
    based_on: u32,
}

/// The versions of a lesson, the newest first.
#[utoipa::path(get, path = "/api/lessons/{id}/versions", params(("id" = u64, Path)),
    responses((status = 200, body = Vec<VersionEntry>), (status = "default", body = Failure)))]
async fn versions(
    State(app): State<App>,
    teacher: SignedIn,
    Path(id): Path<LessonId>,
) -> Result<Json<Vec<VersionEntry>>, ApiError> {
    let entry = |version: history::Version| VersionEntry {
        revision: version.revision,
        teacher: version.teacher,
        saved_at: i64::try_from(version.saved_at.unix_timestamp_nanos() / 1_000_000)
            .unwrap_or(i64::MAX),
    };
    let all = history::of_lesson(&app.db, app.editor(teacher, id).await?, id).await?;
    Ok(Json(all.into_iter().map(entry).collect()))
}

/// A lesson as it was.
#[utoipa::path(get, path = "/api/lessons/{id}/versions/{revision}",
    params(("id" = u64, Path), ("revision" = u32, Path)),
    responses((status = 200, body = LessonView), (status = "default", body = Failure)))]
async fn open_version(
    State(app): State<App>,
    teacher: SignedIn,
    Path((id, revision)): Path<(LessonId, u32)>,
) -> Result<Json<LessonView>, ApiError> {
    let lesson = history::find(&app.db, app.editor(teacher, id).await?, id, revision).await?;
    Ok(Json(LessonView::of(id, revision, lesson)))
}

/// Makes a lesson what it was; what it is now stays among its versions.
#[utoipa::path(post, path = "/api/lessons/{id}/versions/{revision}",
    params(("id" = u64, Path), ("revision" = u32, Path)), request_body = Restored,
    responses((status = 200, body = LessonView), (status = "default", body = Failure)))]
async fn restore_version(
    State(app): State<App>,
    teacher: SignedIn,
    Path((id, revision)): Path<(LessonId, u32)>,
    Body(restored): Body<Restored>,
) -> Result<Json<LessonView>, ApiError> {
    let now = store::lesson::restore(
        &app.db,
        app.editor(teacher, id).await?,
        id,
        restored.based_on,
        revision,
    )
    .await?;
    Ok(Json(LessonView::of(id, now.revision, now.lesson)))
}
