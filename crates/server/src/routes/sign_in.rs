//! Signing in and out.

use crate::address::Address;
use crate::app::{App, SignUp};
use crate::error::{ApiError, Failure};
use crate::extract::Body;
use crate::password;
use crate::routes::accounts::agent;
use crate::session::{self, SignedIn};
use crate::work::Asker;
use axum::Json;
use axum::extract::State;
use axum::http::HeaderMap;
use serde::{Deserialize, Serialize};
use std::sync::LazyLock;
use store::StoreError;
use store::attempt::{self, Allowed};
use store::audit::Event;
use tower_sessions::Session;
use utoipa::ToSchema;
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

pub(crate) fn router() -> OpenApiRouter<App> {
    OpenApiRouter::new()
        .routes(routes!(sign_in))
        .routes(routes!(sign_out))
        .routes(routes!(me))
        .routes(routes!(site))
}

/// What a teacher signs in with.
#[derive(Deserialize, ToSchema)]
struct Credentials {
    sign_in: String,
    password: String,
}

/// Who is signed in.
#[derive(Serialize, ToSchema)]
pub(crate) struct Me {
    /// The teacher's name.
    name: String,
    /// What they sign in with.
    sign_in: String,
    /// Whether they administer this installation.
    is_administrator: bool,
}

impl Me {
    pub(crate) fn of(teacher: store::teacher::Teacher) -> Self {
        let store::teacher::Teacher { name, sign_in, is_administrator, .. } = teacher;
        Self { name, sign_in, is_administrator }
    }
}

/// Longest name and password, in bytes.
const LONGEST: usize = 1_000;
/// Tries of one name, and from one address, which may be a whole school's.
const OF_NAME: Allowed = Allowed { times: 10, seconds: 600 };
const OF_ADDRESS: Allowed = Allowed { times: 100, seconds: 600 };
const WRONG: &str = "This name and password do not go together. Try again.";

/// Looked at when nobody has that name, so that the answer takes as long.
static NOBODY: LazyLock<String> = LazyLock::new(|| password::hash("nobody").unwrap_or_default());

/// Signs a teacher in.
#[utoipa::path(post, path = "/api/sign-in", request_body = Credentials,
    responses((status = 200, body = Me), (status = "default", body = Failure)))]
async fn sign_in(
    State(app): State<App>,
    address: Address,
    session: Session,
    headers: HeaderMap,
    Body(given): Body<Credentials>,
) -> Result<Json<Me>, ApiError> {
    if given.sign_in.len() > LONGEST || given.password.len() > LONGEST {
        return Err(ApiError::sign_in(WRONG));
    }
    let name = given.sign_in.trim().to_lowercase();
    let now = session::now();
    let of_name = format!("sign-in {name}");
    // Counted before the password is looked at: however many come at once, they are counted one by one.
    attempt::count(&app.db, &format!("sign-ins {address}"), OF_ADDRESS, now).await?;
    attempt::count(&app.db, &of_name, OF_NAME, now).await?;
    let found = match store::teacher::by_sign_in(&app.db, given.sign_in.trim()).await {
        Ok(teacher) => Some(teacher),
        Err(StoreError::NotFound) => None,
        Err(error) => return Err(error.into()),
    };
    let looked_at = move || {
        let hash = found.as_ref().map_or(NOBODY.as_str(), |teacher| &teacher.password_hash);
        let right = password::is_right(&given.password, hash);
        found.clone().filter(|_| right)
    };
    let teacher = app.pools.hashes.run(Asker::address(address.0), looked_at).await?;
    let Some(teacher) = teacher else {
        tracing::warn!("a sign-in failed from {address}");
        app.note(Event::SignInFailed, None, &name, address).await?;
        return Err(ApiError::sign_in(WRONG));
    };
    attempt::forget(&app.db, &of_name).await?;
    app.note(Event::SignedIn, Some(teacher.id), &teacher.sign_in, address).await?;
    session::sign_in(&session, teacher.id, &agent(&headers)).await?;
    Ok(Json(Me::of(teacher)))
}

/// Signs out.
#[utoipa::path(post, path = "/api/sign-out",
    responses((status = 204), (status = "default", body = Failure)))]
async fn sign_out(session: Session) -> Result<axum::http::StatusCode, ApiError> {
    session::sign_out(&session).await?;
    Ok(axum::http::StatusCode::NO_CONTENT)
}

/// What is known of this site before anybody is signed in.
#[derive(Serialize, ToSchema)]
struct AboutSite {
    /// Whether the demo teacher, whom everybody knows, can sign in here.
    demo: bool,
    /// Who may make an account.
    sign_up: SignUp,
    /// Whether nobody has an account yet: whoever makes the first one administers this installation.
    is_new: bool,
}

/// What is known of this site.
#[utoipa::path(get, path = "/api/site",
    responses((status = 200, body = AboutSite), (status = "default", body = Failure)))]
async fn site(State(app): State<App>) -> Result<Json<AboutSite>, ApiError> {
    let is_new = store::teacher::none_yet(&app.db).await?;
    let sign_up = if is_new { SignUp::Open } else { app.sign_up().await? };
    Ok(Json(AboutSite { demo: app.site.tells_demo, sign_up, is_new }))
}

/// Who is signed in.
#[utoipa::path(get, path = "/api/me",
    responses((status = 200, body = Me), (status = "default", body = Failure)))]
async fn me(State(app): State<App>, teacher: SignedIn) -> Result<Json<Me>, ApiError> {
    Ok(Json(Me::of(store::teacher::find(&app.db, teacher.0).await?)))
}
