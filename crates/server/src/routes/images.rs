//! Images of slides: put in from a file, made safe, and shown to those who edit the slide.

use crate::app::App;
use crate::error::{ApiError, Failure};
use crate::extract::{Path, Whole};
use crate::routes::shelf::Made;
use crate::session::SignedIn;
use axum::Json;
use axum::extract::{DefaultBodyLimit, State};
use axum::http::header::CONTENT_TYPE;
use axum::response::IntoResponse;
use drawing::image::{ImageKind, taken_in};
use store::ImageId;
use utoipa_axum::router::{OpenApiRouter, UtoipaMethodRouterExt};
use utoipa_axum::routes;

pub(crate) fn router() -> OpenApiRouter<App> {
    OpenApiRouter::new()
        .routes(routes!(put_image).layer(DefaultBodyLimit::max(IMAGE_BYTES)))
        .routes(routes!(show_image))
}

/// Largest body that is read: a photo that is too large is told how large it may be.
const IMAGE_BYTES: usize = 16 << 20;

/// Puts an image in: PNG, JPEG or SVG of at most 2 MB.
#[utoipa::path(post, path = "/api/images",
    request_body(content = Vec<u8>, content_type = "application/octet-stream"),
    responses((status = 200, body = Made), (status = "default", body = Failure)))]
async fn put_image(
    State(app): State<App>,
    teacher: SignedIn,
    Whole(bytes): Whole,
) -> Result<Json<Made>, ApiError> {
    let (kind, safe) = app.make(teacher, move || taken_in(&bytes)).await?.map_err(ApiError::bad)?;
    let id = store::image::create(&app.db, teacher.0, kind.name(), &safe).await?;
    Ok(Json(Made { id: id.0 }))
}

/// Shows an image.
#[utoipa::path(get, path = "/api/images/{id}", params(("id" = u64, Path)),
    responses((status = 200, body = Vec<u8>, content_type = "image/*"), (status = "default", body = Failure)))]
async fn show_image(
    State(app): State<App>,
    teacher: SignedIn,
    Path(id): Path<ImageId>,
) -> Result<impl IntoResponse, ApiError> {
    let (kind, bytes) = store::share::image(&app.db, teacher.0, id).await?;
    Ok(([(CONTENT_TYPE, ImageKind::media_type(&kind))], bytes))
}
