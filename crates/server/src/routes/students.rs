//! A student's own page: a code lets them in, and their assignments stand there.

use crate::address::Address;
use crate::app::App;
use crate::error::{ApiError, Failure};
use crate::extract::{Body, Path};
use crate::routes::classes::checked_name;
use crate::session;
use axum::Json;
use axum::extract::State;
use axum::http::StatusCode;
use serde::{Deserialize, Serialize};
use store::StoreError;
use store::assignment::{self, Assignment};
use store::attempt::{self, Allowed};
use store::class::{self, Class};
use tower_sessions::Session;
use utoipa::ToSchema;
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

pub(crate) fn router() -> OpenApiRouter<App> {
    OpenApiRouter::new()
        .routes(routes!(look_at_class))
        .routes(routes!(enter_class))
        .routes(routes!(leave_class))
}

/// Tries of a code from one browser, and from one address, which may be a whole school's.
pub(crate) const CODES_OF_BROWSER: Allowed = Allowed { times: 20, seconds: 3_600 };
pub(crate) const CODES_OF_ADDRESS: Allowed = Allowed { times: 300, seconds: 3_600 };

/// Who add themselves from one browser, which may be one of a class's few, and from one address.
const ADDED_FROM_BROWSER: Allowed = Allowed { times: 12, seconds: 3_600 };
const ADDED_FROM_ADDRESS: Allowed = Allowed { times: 250, seconds: 3_600 };

/// Where an assignment stands for a student.
#[derive(Serialize, ToSchema)]
#[serde(rename_all = "snake_case")]
enum AssignmentState {
    Open,
    InProgress,
    HandedIn,
    GivenBack,
}

/// An assignment as its student sees it.
#[derive(Serialize, ToSchema)]
struct StudentAssignment {
    title: String,
    /// The address of its Step Desk within this site.
    desk: String,
    /// When it is due, as Unix time in seconds.
    #[serde(skip_serializing_if = "Option::is_none")]
    due: Option<i64>,
    state: AssignmentState,
    rungs: u16,
    /// Rungs that are finished; absent where that is told only when it is given back.
    #[serde(skip_serializing_if = "Option::is_none")]
    finished: Option<usize>,
    /// Which try it is, of several; absent where there is one.
    #[serde(skip_serializing_if = "Option::is_none")]
    nth: Option<u8>,
}

/// The page of a class as a student sees it: before a code is typed, only what the class is called.
#[derive(Serialize, ToSchema)]
struct StudentPage {
    title: String,
    #[serde(skip_serializing_if = "Option::is_none")]
    student: Option<String>,
    /// The code that brings them back from another device, where they added themselves.
    #[serde(skip_serializing_if = "Option::is_none")]
    code: Option<String>,
    /// Whether a first name is enough to be added.
    is_open: bool,
    assignments: Vec<StudentAssignment>,
}

async fn class_of(app: &App, link: &str) -> Result<Class, ApiError> {
    class::by_link(&app.db, link).await.map_err(|error| match error {
        StoreError::NotFound => ApiError::not_found("This link opens no class. Ask for it again."),
        other => other.into(),
    })
}

async fn page(app: &App, session: &Session, link: &str) -> Result<StudentPage, ApiError> {
    let class = class_of(app, link).await?;
    let is_open = class.is_open;
    let nobody = StudentPage {
        title: class.title.clone(),
        student: None,
        code: None,
        is_open,
        assignments: Vec::new(),
    };
    let Some(id) = session::student(session, class.id).await? else { return Ok(nobody) };
    let student = match class::student(&app.db, class.id, id).await {
        Ok(student) => student,
        Err(StoreError::NotFound) => return Ok(nobody),
        Err(error) => return Err(error.into()),
    };
    let mut assignments = Vec::new();
    let all = assignment::of_class(&app.db, class.id).await?;
    for one in all.into_iter().filter(|one| one.is_for(id)) {
        assignments.push(of_student(app, one, id).await?);
    }
    let code = is_open.then_some(student.code);
    Ok(StudentPage { title: class.title, student: Some(student.name), code, is_open, assignments })
}

async fn of_student(
    app: &App,
    one: Assignment,
    student: store::StudentId,
) -> Result<StudentAssignment, ApiError> {
    let begun = assignment::begun(&app.db, one.id, student).await?;
    let state = match &begun {
        None => AssignmentState::Open,
        Some(begun) if begun.progress.given_back.is_some() => AssignmentState::GivenBack,
        Some(begun) if begun.progress.handed_in.is_some() => AssignmentState::HandedIn,
        Some(begun) if begun.written == 0 => AssignmentState::Open,
        Some(_) => AssignmentState::InProgress,
    };
    let progress = begun.as_ref().map(|begun| begun.progress).unwrap_or_default();
    let is_told = one.tells(progress, session::now());
    Ok(StudentAssignment {
        title: one.title,
        desk: format!("/desk/{}", one.link),
        due: one.rules.due,
        state,
        rungs: one.rungs,
        finished: is_told.then(|| begun.map_or(0, |begun| begun.finished)),
        nth: begun.map(|begun| begun.nth).filter(|_| one.rules.tries != 1),
    })
}

/// Opens the page of a class.
#[utoipa::path(get, path = "/api/class/{link}", params(("link" = String, Path)),
    responses((status = 200, body = StudentPage), (status = "default", body = Failure)))]
async fn look_at_class(
    State(app): State<App>,
    session: Session,
    Path(link): Path<String>,
) -> Result<Json<StudentPage>, ApiError> {
    Ok(Json(page(&app, &session, &link).await?))
}

/// Who comes in to a class: by their code, or, where it is open, by a first name.
#[derive(Deserialize, ToSchema)]
struct ComingIn {
    #[serde(default)]
    code: Option<String>,
    #[serde(default)]
    name: Option<String>,
}

/// Lets a student in with their code; to an open class whoever gives a first name.
#[utoipa::path(post, path = "/api/class/{link}/enter", params(("link" = String, Path)),
    request_body = ComingIn,
    responses((status = 200, body = StudentPage), (status = "default", body = Failure)))]
async fn enter_class(
    State(app): State<App>,
    address: Address,
    session: Session,
    Path(link): Path<String>,
    Body(given): Body<ComingIn>,
) -> Result<Json<StudentPage>, ApiError> {
    let class = class_of(&app, &link).await?;
    let ComingIn { code, name } = given;
    come_in(&app, &class, address, &session, code.as_deref(), name.as_deref()).await?;
    Ok(Json(page(&app, &session, &link).await?))
}

/// Lets somebody in to a class by their code, or by a first name where it is open.
pub(crate) async fn come_in(
    app: &App,
    class: &Class,
    address: Address,
    session: &Session,
    code: Option<&str>,
    name: Option<&str>,
) -> Result<(), ApiError> {
    let code = code.map(str::trim).filter(|code| !code.is_empty());
    let student = match (code, name) {
        (None, Some(name)) if class.is_open => {
            add(app, class, address, session, &checked_name(name)?).await?
        }
        _ => let_in(app, class, address, session, code.unwrap_or_default()).await?,
    };
    session::enter(session, class.id, Some(student)).await
}

/// Adds somebody to an open class.
async fn add(
    app: &App,
    class: &Class,
    address: Address,
    session: &Session,
    name: &str,
) -> Result<store::StudentId, ApiError> {
    let (id, now) = (class.id, session::now());
    attempt::count(&app.db, &format!("added {id} {address}"), ADDED_FROM_ADDRESS, now).await?;
    if let Some(browser) = session.id() {
        attempt::count(&app.db, &format!("added {id} {browser}"), ADDED_FROM_BROWSER, now).await?;
    }
    class::join(&app.db, id, name).await.map_err(|error| match error {
        StoreError::Taken => ApiError::taken(
            "Somebody with this name is here already. If that is you, type your code. \
             If not, add a letter of your family name.",
        ),
        StoreError::Full => ApiError::bad("There is room for 200 here. Tell your teacher."),
        other => other.into(),
    })
}

/// The student of a class who has that code; tries are counted.
async fn let_in(
    app: &App,
    class: &Class,
    address: Address,
    session: &Session,
    code: &str,
) -> Result<store::StudentId, ApiError> {
    let now = session::now();
    let id = class.id;
    attempt::count(&app.db, &format!("class {id} {address}"), CODES_OF_ADDRESS, now).await?;
    if let Some(browser) = session.id() {
        attempt::count(&app.db, &format!("class {id} {browser}"), CODES_OF_BROWSER, now).await?;
    }
    match class::by_code(&app.db, id, code).await {
        Ok(student) => Ok(student.id),
        Err(StoreError::NotFound) => {
            Err(ApiError::bad("Nobody in this class has that code. Look at your card again."))
        }
        Err(error) => Err(error.into()),
    }
}

/// Leaves the page of a class, so that somebody else can use this device.
#[utoipa::path(post, path = "/api/class/{link}/leave", params(("link" = String, Path)),
    responses((status = 204), (status = "default", body = Failure)))]
async fn leave_class(
    State(app): State<App>,
    session: Session,
    Path(link): Path<String>,
) -> Result<StatusCode, ApiError> {
    let class = class_of(&app, &link).await?;
    session::enter(&session, class.id, None).await?;
    for one in assignment::of_class(&app.db, class.id).await? {
        session::sit_down(&session, &one.link, None).await?;
    }
    Ok(StatusCode::NO_CONTENT)
}
