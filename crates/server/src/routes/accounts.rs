//! A teacher's own account: making it, its password, its sessions, taking everything out, and leaving.

use crate::address::Address;
use crate::app::{App, SignUp};
use crate::error::{ApiError, Failure};
use crate::extract::{Body, Path};
use crate::outbox::{self, Message};
use crate::password;
use crate::routes::sign_in::Me;
use crate::session::{self, SignedIn};
use crate::text::is_visible;
use crate::work::Asker;
use axum::Json;
use axum::extract::State;
use axum::http::header::{CONTENT_DISPOSITION, CONTENT_TYPE, HOST, USER_AGENT};
use axum::http::{HeaderMap, StatusCode};
use axum::response::{IntoResponse, Response};
use serde::{Deserialize, Serialize};
use store::StoreError;
use store::attempt::{self, Allowed};
use store::audit::Event;
use store::token::{self, Purpose};
use tower_sessions::Session;
use utoipa::ToSchema;
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

pub(crate) fn router() -> OpenApiRouter<App> {
    OpenApiRouter::new()
        .routes(routes!(sign_up))
        .routes(routes!(change_password))
        .routes(routes!(forgot_password))
        .routes(routes!(reset_password))
        .routes(routes!(my_sessions))
        .routes(routes!(end_session))
        .routes(routes!(export_account))
        .routes(routes!(delete_account))
}

/// Longest name, in characters, and how long a name to sign in with may be.
const LONGEST_NAME: usize = 80;
const SIGN_IN: std::ops::RangeInclusive<usize> = 2..=LONGEST_SIGN_IN;
const LONGEST_SIGN_IN: usize = 120;
/// New accounts from one address, which may be a whole school's.
const ACCOUNTS_OF_ADDRESS: Allowed = Allowed { times: 30, seconds: 3_600 };
/// Ways back that are asked for, for one name and from one address.
const RESETS_OF_NAME: Allowed = Allowed { times: 3, seconds: 3_600 };
const RESETS_OF_ADDRESS: Allowed = Allowed { times: 30, seconds: 3_600 };
/// Tries of a password that is asked for once more.
const CHECKS: Allowed = Allowed { times: 10, seconds: 600 };
/// How long a way back works, in seconds.
const RESET_SECONDS: i64 = 3_600;

/// On what a session is begun, as the browser tells it.
pub(crate) fn agent(headers: &HeaderMap) -> String {
    let told = headers.get(USER_AGENT).and_then(|agent| agent.to_str().ok()).unwrap_or_default();
    told.chars().take(200).collect()
}

/// Who makes an account.
#[derive(Deserialize, ToSchema)]
struct NewAccount {
    name: String,
    /// A short name or an e-mail address.
    sign_in: String,
    password: String,
    /// Where sign-up asks for one.
    #[serde(default)]
    invitation: Option<String>,
}

/// A name as it is kept, when it may be one.
fn checked_name(name: &str) -> Result<String, ApiError> {
    let name = name.split_whitespace().collect::<Vec<_>>().join(" ");
    if name.is_empty() || name.chars().count() > LONGEST_NAME || !is_visible(&name) {
        return Err(ApiError::bad("Type your name, in at most 80 letters."));
    }
    Ok(name)
}

/// What somebody signs in with, when it may be that.
fn checked_sign_in(sign_in: &str) -> Result<String, ApiError> {
    let sign_in = sign_in.trim().to_lowercase();
    let count = sign_in.chars().count();
    let is_plain =
        |sign: char| sign.is_alphanumeric() || matches!(sign, '.' | '-' | '_' | '@' | '+');
    if !SIGN_IN.contains(&count) || !sign_in.chars().all(is_plain) {
        return Err(ApiError::bad(
            "Choose a name to sign in with: 2 to 120 letters and digits, or your e-mail address.",
        ));
    }
    Ok(sign_in)
}

async fn hashed(app: &App, asker: Asker, password: String) -> Result<String, ApiError> {
    let made = app.pools.hashes.run(asker, move || password::hash(&password)).await?;
    made.map_err(|error| ApiError::internal(&error))
}

/// Makes an account and signs in.
#[utoipa::path(post, path = "/api/sign-up", request_body = NewAccount,
    responses((status = 200, body = Me), (status = "default", body = Failure)))]
async fn sign_up(
    State(app): State<App>,
    address: Address,
    session: Session,
    headers: HeaderMap,
    Body(new): Body<NewAccount>,
) -> Result<Json<Me>, ApiError> {
    let name = checked_name(&new.name)?;
    let sign_in = checked_sign_in(&new.sign_in)?;
    if let Some(says) = password::weakness(&new.password, &[&name, &sign_in]) {
        return Err(ApiError::bad(says));
    }
    let now = session::now();
    attempt::count(&app.db, &format!("accounts {address}"), ACCOUNTS_OF_ADDRESS, now).await?;
    // The very first account makes the installation; later ones need to be let in.
    let is_first = store::teacher::none_yet(&app.db).await?;
    let invitation = new.invitation.unwrap_or_default();
    match app.sign_up().await? {
        _ if is_first => {}
        SignUp::Open => {}
        SignUp::Closed => {
            return Err(ApiError::bad("New accounts are made by your administrator here."));
        }
        SignUp::Invited => {
            if !token::works(&app.db, Purpose::Invitation, invitation.trim(), now).await? {
                return Err(ApiError::bad(NO_INVITATION));
            }
        }
    }
    if store::teacher::by_sign_in(&app.db, &sign_in).await.is_ok() {
        return Err(ApiError::taken(TAKEN));
    }
    let hash = hashed(&app, Asker::address(address.0), new.password).await?;
    if !is_first && app.sign_up().await? == SignUp::Invited {
        let taken = token::take_in(&app.db, Purpose::Invitation, invitation.trim(), now).await;
        taken.map_err(|_| ApiError::bad(NO_INVITATION))?;
    }
    let id = store::teacher::create(&app.db, &sign_in, &name, &hash).await;
    let id = id.map_err(|error| match error {
        StoreError::Taken => ApiError::taken(TAKEN),
        other => other.into(),
    })?;
    app.note(Event::AccountMade, Some(id), &sign_in, address).await?;
    session::sign_in(&session, id, &agent(&headers)).await?;
    let teacher = store::teacher::find(&app.db, id).await?;
    Ok(Json(Me::of(teacher)))
}

const TAKEN: &str = "Somebody signs in with this name already. Choose another one.";
const NO_INVITATION: &str =
    "Accounts are made with an invitation here. Open the link of yours, or ask for one.";

/// A password once more, and the new one.
#[derive(Deserialize, ToSchema)]
struct PasswordChange {
    now: String,
    new: String,
}

/// Whether a password is that of the teacher who is signed in; tries are counted.
async fn check(
    app: &App,
    teacher: SignedIn,
    password: String,
) -> Result<store::teacher::Teacher, ApiError> {
    let tries = format!("check {}", teacher.0);
    attempt::count(&app.db, &tries, CHECKS, session::now()).await?;
    let found = store::teacher::find(&app.db, teacher.0).await?;
    let hash = found.password_hash.clone();
    let looked_at = move || password::is_right(&password, &hash);
    if !app.pools.hashes.run(Asker::teacher(teacher.0), looked_at).await? {
        return Err(ApiError::bad("This is not your password. Try again."));
    }
    attempt::forget(&app.db, &tries).await?;
    Ok(found)
}

/// Changes one's own password. Every other session ends.
#[utoipa::path(put, path = "/api/me/password", request_body = PasswordChange,
    responses((status = 204), (status = "default", body = Failure)))]
async fn change_password(
    State(app): State<App>,
    teacher: SignedIn,
    address: Address,
    session: Session,
    Body(change): Body<PasswordChange>,
) -> Result<StatusCode, ApiError> {
    let found = check(&app, teacher, change.now).await?;
    if let Some(says) = password::weakness(&change.new, &[&found.name, &found.sign_in]) {
        return Err(ApiError::bad(says));
    }
    let hash = hashed(&app, Asker::teacher(teacher.0), change.new).await?;
    let stays = session::id(&session);
    store::teacher::set_password(&app.db, teacher.0, &hash, Some(stays)).await?;
    app.note(Event::PasswordChanged, Some(teacher.0), &found.sign_in, address).await?;
    Ok(StatusCode::NO_CONTENT)
}

/// Whose password is forgotten.
#[derive(Deserialize, ToSchema)]
struct Forgotten {
    sign_in: String,
}

/// Sends a way back to whoever forgot a password. The answer is the same whether somebody has that name or not.
#[utoipa::path(post, path = "/api/password/forgot", request_body = Forgotten,
    responses((status = 204), (status = "default", body = Failure)))]
async fn forgot_password(
    State(app): State<App>,
    address: Address,
    headers: HeaderMap,
    Body(asked): Body<Forgotten>,
) -> Result<StatusCode, ApiError> {
    let Some(folder) = app.site.outbox.clone() else {
        return Err(ApiError::bad(
            "No messages are sent from here. Ask your administrator for a new password.",
        ));
    };
    let now = session::now();
    let name: String = asked.sign_in.trim().to_lowercase().chars().take(LONGEST_SIGN_IN).collect();
    attempt::count(&app.db, &format!("resets {address}"), RESETS_OF_ADDRESS, now).await?;
    attempt::count(&app.db, &format!("reset {name}"), RESETS_OF_NAME, now).await?;
    let teacher = match store::teacher::by_sign_in(&app.db, &name).await {
        Ok(teacher) => teacher,
        Err(StoreError::NotFound) => return Ok(StatusCode::NO_CONTENT),
        Err(error) => return Err(error.into()),
    };
    let token = token::give_out(&app.db, Purpose::Reset, teacher.id, now + RESET_SECONDS).await?;
    let link = format!("{}/password/{token}", home(&app, &headers));
    let text = format!(
        "Hello {},\n\nsomebody asked for a new password for Honey Ladder. If that was you, open this link within an hour:\n\n{link}\n\nIf not, do nothing: your password stays as it is.",
        teacher.name
    );
    let subject = "A new password for Honey Ladder".into();
    let message = Message { at: now, to: teacher.sign_in.clone(), subject, text };
    let written = tokio::task::spawn_blocking(move || outbox::write(&folder, &message)).await;
    written
        .map_err(|error| ApiError::internal(&error))?
        .map_err(|error| ApiError::internal(&error))?;
    app.note(Event::ResetAsked, Some(teacher.id), &teacher.sign_in, address).await?;
    Ok(StatusCode::NO_CONTENT)
}

/// The address of this site, as it was asked for; the host was looked at before.
pub(crate) fn home(app: &App, headers: &HeaderMap) -> String {
    let host = headers.get(HOST).and_then(|host| host.to_str().ok()).unwrap_or("localhost");
    let scheme = if app.site.behind_proxy { "https" } else { "http" };
    format!("{scheme}://{host}")
}

/// A way back with the new password.
#[derive(Deserialize, ToSchema)]
struct PasswordReset {
    token: String,
    password: String,
}

/// Sets a new password by a way back. Every session ends, and this one begins.
#[utoipa::path(post, path = "/api/password/reset", request_body = PasswordReset,
    responses((status = 200, body = Me), (status = "default", body = Failure)))]
async fn reset_password(
    State(app): State<App>,
    address: Address,
    session: Session,
    headers: HeaderMap,
    Body(reset): Body<PasswordReset>,
) -> Result<Json<Me>, ApiError> {
    let now = session::now();
    attempt::count(&app.db, &format!("resets {address}"), RESETS_OF_ADDRESS, now).await?;
    // Looked at before the way back is used up.
    if let Some(says) = password::weakness(&reset.password, &[]) {
        return Err(ApiError::bad(says));
    }
    let token = reset.token.trim().to_owned();
    if !token::works(&app.db, Purpose::Reset, &token, now).await? {
        return Err(ApiError::bad(USED_UP));
    }
    let hash = hashed(&app, Asker::address(address.0), reset.password).await?;
    let taken = token::take_in(&app.db, Purpose::Reset, &token, now).await;
    let id = taken.map_err(|_| ApiError::bad(USED_UP))?;
    store::teacher::set_password(&app.db, id, &hash, None).await?;
    let teacher = store::teacher::find(&app.db, id).await?;
    attempt::forget(&app.db, &format!("sign-in {}", teacher.sign_in)).await?;
    app.note(Event::PasswordReset, Some(id), &teacher.sign_in, address).await?;
    session::sign_in(&session, id, &agent(&headers)).await?;
    Ok(Json(Me::of(teacher)))
}

const USED_UP: &str = "This link has been used, or its hour is over. Ask for a new one.";

/// An open session.
#[derive(Serialize, ToSchema)]
struct SessionEntry {
    /// A name for it that opens nothing.
    name: String,
    /// On what it was begun, as the browser told.
    agent: String,
    /// When it was used last, to the day, as Unix time in seconds.
    used: i64,
    /// Whether it is this one.
    this: bool,
}

/// One's own open sessions.
#[utoipa::path(get, path = "/api/me/sessions",
    responses((status = 200, body = Vec<SessionEntry>), (status = "default", body = Failure)))]
async fn my_sessions(
    State(app): State<App>,
    teacher: SignedIn,
    session: Session,
) -> Result<Json<Vec<SessionEntry>>, ApiError> {
    let (this, now) = (session::id(&session), session::now());
    let open = store::session::of_teacher(&app.db, teacher.0, this, now).await?;
    let entry = |one: store::session::OpenSession| {
        let (agent, used) = session::told(&one);
        SessionEntry { name: one.name, agent, used, this: one.is_this }
    };
    Ok(Json(open.into_iter().map(entry).collect()))
}

/// Ends one of one's own sessions.
#[utoipa::path(delete, path = "/api/me/sessions/{name}", params(("name" = String, Path)),
    responses((status = 204), (status = "default", body = Failure)))]
async fn end_session(
    State(app): State<App>,
    teacher: SignedIn,
    address: Address,
    Path(name): Path<String>,
) -> Result<StatusCode, ApiError> {
    store::session::end(&app.db, teacher.0, &name).await?;
    let found = store::teacher::find(&app.db, teacher.0).await?;
    app.note(Event::SessionEnded, Some(teacher.0), &found.sign_in, address).await?;
    Ok(StatusCode::NO_CONTENT)
}

/// All that is one's own as one JSON file: lessons, ladders with what students wrote, scenarios.
#[utoipa::path(get, path = "/api/me/export",
    responses((status = 200, content_type = "application/json", body = Vec<u8>),
              (status = "default", body = Failure)))]
async fn export_account(
    State(app): State<App>,
    teacher: SignedIn,
    address: Address,
) -> Result<Response, ApiError> {
    let found = store::teacher::find(&app.db, teacher.0).await?;
    let all = store::teacher::export(&app.db, teacher.0).await?;
    app.note(Event::Exported, Some(teacher.0), &found.sign_in, address).await?;
    let file = [
        (CONTENT_TYPE, "application/json"),
        (CONTENT_DISPOSITION, "attachment; filename=\"honey-ladder.json\""),
    ];
    Ok((file, all.to_string()).into_response())
}

/// The password once more, since nothing comes back.
#[derive(Deserialize, ToSchema)]
struct Leaving {
    password: String,
}

/// Deletes one's own account with all that is its own, at once and for good.
#[utoipa::path(post, path = "/api/me/delete", request_body = Leaving,
    responses((status = 204), (status = "default", body = Failure)))]
async fn delete_account(
    State(app): State<App>,
    teacher: SignedIn,
    address: Address,
    session: Session,
    Body(leaving): Body<Leaving>,
) -> Result<StatusCode, ApiError> {
    let found = check(&app, teacher, leaving.password).await?;
    let is_last = store::teacher::is_last_administrator(&app.db, teacher.0).await?;
    if is_last {
        return Err(ApiError::bad(
            "You are the only administrator, and others have accounts here. Make another one administrator first.",
        ));
    }
    store::teacher::remove(&app.db, teacher.0).await?;
    session::sign_out(&session).await?;
    app.note(Event::AccountDeleted, None, &found.sign_in, address).await?;
    Ok(StatusCode::NO_CONTENT)
}
