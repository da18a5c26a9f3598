//! Signing in and out.

use crate::app::{App, compute};
use crate::error::{ApiError, Failure};
use crate::extract::Body;
use crate::password;
use crate::session::{self, SignedIn};
use axum::Json;
use axum::extract::State;
use serde::{Deserialize, Serialize};
use std::sync::LazyLock;
use store::StoreError;
use tower_sessions::Session;
use utoipa::ToSchema;
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

pub(crate) fn router() -> OpenApiRouter<App> {
    OpenApiRouter::new().routes(routes!(sign_in)).routes(routes!(sign_out)).routes(routes!(me))
}

/// What a teacher signs in with.
#[derive(Deserialize, ToSchema)]
struct Credentials {
    sign_in: String,
    password: String,
}

/// Who is signed in.
#[derive(Serialize, ToSchema)]
struct Me {
    /// The teacher's name.
    name: String,
}

/// Looked at when nobody has that name, so that the answer takes as long.
static NOBODY: LazyLock<String> = LazyLock::new(|| password::hash("nobody").unwrap_or_default());

/// Signs a teacher in.
#[utoipa::path(post, path = "/api/sign-in", request_body = Credentials,
    responses((status = 200, body = Me), (status = "default", body = Failure)))]
async fn sign_in(
    State(app): State<App>,
    session: Session,
    Body(given): Body<Credentials>,
) -> Result<Json<Me>, ApiError> {
    let found = match store::teacher::by_sign_in(&app.db, given.sign_in.trim()).await {
        Ok(teacher) => Some(teacher),
        Err(StoreError::NotFound) => None,
        Err(error) => return Err(error.into()),
    };
    let permit = app.hashes.clone().acquire_owned().await.map_err(|e| ApiError::internal(&e))?;
    let teacher = compute(move || {
        let _permit = permit;
        let hash = found.as_ref().map_or(NOBODY.as_str(), |teacher| &teacher.password_hash);
        let right = password::is_right(&given.password, hash);
        found.filter(|_| right)
    })
    .await?;
    let Some(teacher) = teacher else {
        return Err(ApiError::sign_in("This name and password do not go together. Try again."));
    };
    session::sign_in(&session, teacher.id).await?;
    Ok(Json(Me { name: teacher.name }))
}

/// Signs out.
#[utoipa::path(post, path = "/api/sign-out",
    responses((status = 204), (status = "default", body = Failure)))]
async fn sign_out(session: Session) -> Result<axum::http::StatusCode, ApiError> {
    session::sign_out(&session).await?;
    Ok(axum::http::StatusCode::NO_CONTENT)
}

/// Who is signed in.
#[utoipa::path(get, path = "/api/me",
    responses((status = 200, body = Me), (status = "default", body = Failure)))]
async fn me(State(app): State<App>, teacher: SignedIn) -> Result<Json<Me>, ApiError> {
    Ok(Json(Me { name: store::teacher::name(&app.db, teacher.0).await? }))
}
