//! What an administrator sees and sets: who may make an account, invitations, the outbox, what happened, and accounts.

use crate::address::Address;
use crate::app::{App, SIGN_UP, SignUp};
use crate::error::{ApiError, Failure};
use crate::extract::{Body, Path, Query};
use crate::outbox::{self, Message};
use crate::routes::accounts::home;
use crate::session::{self, Administrator};
use axum::Json;
use axum::extract::State;
use axum::http::{HeaderMap, StatusCode};
use serde::{Deserialize, Serialize};
use store::TeacherId;
use store::audit::{self, Event};
use store::token::{self, Purpose};
use utoipa::{IntoParams, ToSchema};
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

pub(crate) fn router() -> OpenApiRouter<App> {
    OpenApiRouter::new()
        .routes(routes!(set_sign_up))
        .routes(routes!(invite))
        .routes(routes!(read_outbox))
        .routes(routes!(read_audit))
        .routes(routes!(list_teachers))
        .routes(routes!(make_administrator))
}

/// How long an invitation works, in seconds: two weeks.
const INVITED_SECONDS: i64 = 14 * 86_400;

/// Who may make an account.
#[derive(Deserialize, ToSchema)]
struct SignUpRule {
    sign_up: SignUp,
}

/// Sets who may make an account here.
#[utoipa::path(put, path = "/api/site/sign-up", request_body = SignUpRule,
    responses((status = 204), (status = "default", body = Failure)))]
async fn set_sign_up(
    State(app): State<App>,
    administrator: Administrator,
    address: Address,
    Body(rule): Body<SignUpRule>,
) -> Result<StatusCode, ApiError> {
    let name = serde_json::to_value(rule.sign_up).map_err(|error| ApiError::internal(&error))?;
    store::setting::set(&app.db, SIGN_UP, name.as_str().unwrap_or_default()).await?;
    let Administrator(teacher) = administrator;
    app.note(Event::SignUpChanged, Some(teacher.id), &teacher.sign_in, address).await?;
    Ok(StatusCode::NO_CONTENT)
}

/// An invitation.
#[derive(Serialize, ToSchema)]
struct Invitation {
    /// The address that makes an account, once.
    link: String,
}

/// Gives out an invitation that makes one account.
#[utoipa::path(post, path = "/api/invitations",
    responses((status = 200, body = Invitation), (status = "default", body = Failure)))]
async fn invite(
    State(app): State<App>,
    administrator: Administrator,
    address: Address,
    headers: HeaderMap,
) -> Result<Json<Invitation>, ApiError> {
    let Administrator(teacher) = administrator;
    let until = session::now() + INVITED_SECONDS;
    let token = token::give_out(&app.db, Purpose::Invitation, teacher.id, until).await?;
    app.note(Event::Invited, Some(teacher.id), &teacher.sign_in, address).await?;
    Ok(Json(Invitation { link: format!("{}/sign-up?invitation={token}", home(&app, &headers)) }))
}

/// The messages of the outbox, the latest first.
#[utoipa::path(get, path = "/api/outbox",
    responses((status = 200, body = Vec<Message>), (status = "default", body = Failure)))]
async fn read_outbox(
    State(app): State<App>,
    _administrator: Administrator,
) -> Result<Json<Vec<Message>>, ApiError> {
    let Some(folder) = app.site.outbox.clone() else { return Ok(Json(Vec::new())) };
    let read = tokio::task::spawn_blocking(move || outbox::read(&folder)).await;
    let found = read.map_err(|error| ApiError::internal(&error))?;
    Ok(Json(found.map_err(|error| ApiError::internal(&error))?))
}

/// An entry of what happened.
#[derive(Serialize, ToSchema)]
struct AuditEntry {
    /// Unix time in seconds.
    at: i64,
    /// The name that was signed in with.
    name: String,
    what: String,
    address: String,
}

/// A page of what happened.
#[derive(Serialize, ToSchema)]
struct AuditPage {
    entries: Vec<AuditEntry>,
    /// Where the next page begins.
    #[serde(skip_serializing_if = "Option::is_none")]
    next: Option<String>,
}

/// Which page is meant.
#[derive(Deserialize, IntoParams)]
struct AuditQuery {
    /// Where it begins.
    #[serde(default)]
    after: Option<String>,
}

/// What happened to accounts, the latest first.
#[utoipa::path(get, path = "/api/audit", params(AuditQuery),
    responses((status = 200, body = AuditPage), (status = "default", body = Failure)))]
async fn read_audit(
    State(app): State<App>,
    _administrator: Administrator,
    Query(asked): Query<AuditQuery>,
) -> Result<Json<AuditPage>, ApiError> {
    let page = audit::read(&app.db, asked.after.as_deref()).await?;
    let entry = |one: audit::Entry| AuditEntry {
        at: one.at,
        name: one.name,
        what: one.what,
        address: one.address,
    };
    Ok(Json(AuditPage { entries: page.entries.into_iter().map(entry).collect(), next: page.next }))
}

/// Somebody with an account.
#[derive(Serialize, ToSchema)]
struct TeacherEntry {
    id: TeacherId,
    name: String,
    sign_in: String,
    is_administrator: bool,
}

/// Who has an account here.
#[utoipa::path(get, path = "/api/teachers",
    responses((status = 200, body = Vec<TeacherEntry>), (status = "default", body = Failure)))]
async fn list_teachers(
    State(app): State<App>,
    _administrator: Administrator,
) -> Result<Json<Vec<TeacherEntry>>, ApiError> {
    let all = store::teacher::all(&app.db).await?;
    let entry = |one: store::teacher::Teacher| TeacherEntry {
        id: one.id,
        name: one.name,
        sign_in: one.sign_in,
        is_administrator: one.is_administrator,
    };
    Ok(Json(all.into_iter().map(entry).collect()))
}

/// Makes somebody an administrator too.
#[utoipa::path(post, path = "/api/teachers/{id}/administrator", params(("id" = u64, Path)),
    responses((status = 204), (status = "default", body = Failure)))]
async fn make_administrator(
    State(app): State<App>,
    _administrator: Administrator,
    Path(id): Path<TeacherId>,
) -> Result<StatusCode, ApiError> {
    store::teacher::make_administrator(&app.db, id).await?;
    Ok(StatusCode::NO_CONTENT)
}
