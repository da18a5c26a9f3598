//! Who is asking: sessions in MariaDB behind an HttpOnly cookie, a teacher's sign-in and a student's
//! desks in them.

use crate::app::App;
use crate::error::ApiError;
use axum::extract::FromRequestParts;
use axum::http::request::Parts;
use serde_json::Value;
use std::collections::{BTreeMap, HashMap};
use store::Db;
use store::{ClassId, DeskId, StudentId, TeacherId};
use time::{Duration, OffsetDateTime};
use tower_sessions::cookie::SameSite;
use tower_sessions::session::{Id, Record};
use tower_sessions::session_store::{Error, Result};
use tower_sessions::{Expiry, Session, SessionManagerLayer, SessionStore};

const TEACHER: &str = "teacher";
const DESKS: &str = "desks";
const STUDENTS: &str = "students";
/// On what a session was begun.
const AGENT: &str = "agent";
/// Most desks that one browser remembers: a shared laptop through a year.
const MOST_DESKS: usize = 60;
/// How long a session lasts without being used: a teacher's, in days.
const TEACHER_DAYS: i64 = 14;
/// And one that knows only desks: from one school year to the next.
const STUDENT_DAYS: i64 = 200;
/// In days, how long a browser keeps the cookie; the session itself ends here.
const COOKIE_DAYS: i64 = 400;
const DAY: i64 = 86_400;

/// Sessions in the database.
#[derive(Debug, Clone)]
pub(crate) struct Sessions(Db);

#[async_trait::async_trait]
impl SessionStore for Sessions {
    async fn create(&self, record: &mut Record) -> Result<()> {
        // 128 random bits do not collide in practice; one that did would let a stranger in.
        while self.load(&record.id).await?.is_some() {
            record.id = Id::default();
        }
        self.save(record).await
    }

    async fn save(&self, record: &Record) -> Result<()> {
        let data = serde_json::to_string(&record.data).map_err(|e| Error::Encode(e.to_string()))?;
        let expires_at = now() + lasts(&record.data);
        let id = record.id.0.to_be_bytes();
        let teacher = record.data.get(TEACHER).and_then(Value::as_u64).map(TeacherId);
        let saved = store::session::save(&self.0, id, &data, teacher, expires_at).await;
        saved.map_err(|e| Error::Backend(e.to_string()))
    }

    async fn load(&self, id: &Id) -> Result<Option<Record>> {
        let now = now();
        let found = store::session::load(&self.0, id.0.to_be_bytes(), now).await;
        let Some((data, expires_at)) = found.map_err(|e| Error::Backend(e.to_string()))? else {
            return Ok(None);
        };
        let decode = |e: &dyn std::fmt::Display| Error::Decode(e.to_string());
        let data = serde_json::from_str(&data).map_err(|e| decode(&e))?;
        let until = now + lasts(&data);
        // A session that is used goes on; once a day is enough to say so.
        if until - expires_at > DAY {
            let renewed = store::session::renew(&self.0, id.0.to_be_bytes(), until).await;
            renewed.map_err(|e| Error::Backend(e.to_string()))?;
        }
        let expiry_date =
            OffsetDateTime::from_unix_timestamp(expires_at).map_err(|e| decode(&e))?;
        Ok(Some(Record { id: *id, data, expiry_date }))
    }

    async fn delete(&self, id: &Id) -> Result<()> {
        let done = store::session::delete(&self.0, id.0.to_be_bytes()).await;
        done.map_err(|e| Error::Backend(e.to_string()))
    }
}

pub(crate) fn now() -> i64 {
    OffsetDateTime::now_utc().unix_timestamp()
}

/// How long a session lasts without being used, in seconds.
fn lasts(data: &HashMap<String, Value>) -> i64 {
    if data.contains_key(TEACHER) { TEACHER_DAYS * DAY } else { STUDENT_DAYS * DAY }
}

/// Gives every request its session. A session is kept only once something is in it.
pub(crate) fn layer(db: Db, is_https: bool) -> SessionManagerLayer<Sessions> {
    SessionManagerLayer::new(Sessions(db))
        // A browser takes a cookie of the first name from this very host alone.
        .with_name(if is_https { "__Host-honey_ladder" } else { "honey_ladder" })
        .with_http_only(true)
        .with_same_site(SameSite::Lax)
        .with_secure(is_https)
        .with_path("/")
        .with_expiry(Expiry::OnInactivity(Duration::days(COOKIE_DAYS)))
}

fn failed(error: tower_sessions::session::Error) -> ApiError {
    ApiError::internal(&error)
}

/// The teacher who is signed in. A route that takes one is for teachers alone.
#[derive(Debug, Clone, Copy)]
pub(crate) struct SignedIn(pub TeacherId);

impl FromRequestParts<App> for SignedIn {
    type Rejection = ApiError;

    async fn from_request_parts(
        parts: &mut Parts,
        app: &App,
    ) -> std::result::Result<Self, ApiError> {
        let refuse = || ApiError::sign_in("Please sign in first.");
        let session = Session::from_request_parts(parts, app).await.map_err(|_| refuse())?;
        session.get(TEACHER).await.map_err(failed)?.map(Self).ok_or_else(refuse)
    }
}

/// The administrator who is signed in. Others learn nothing of what is asked for.
pub(crate) struct Administrator(pub store::teacher::Teacher);

impl FromRequestParts<App> for Administrator {
    type Rejection = ApiError;

    async fn from_request_parts(
        parts: &mut Parts,
        app: &App,
    ) -> std::result::Result<Self, ApiError> {
        let SignedIn(id) = SignedIn::from_request_parts(parts, app).await?;
        let teacher = store::teacher::find(&app.db, id).await?;
        let nothing = || ApiError::not_found("There is nothing at this address.");
        Some(teacher).filter(|teacher| teacher.is_administrator).map(Self).ok_or_else(nothing)
    }
}

/// Signs a teacher in; the session gets a new id, so that one known before is worth nothing.
pub(crate) async fn sign_in(
    session: &Session,
    id: TeacherId,
    agent: &str,
) -> std::result::Result<(), ApiError> {
    session.cycle_id().await.map_err(failed)?;
    session.insert(AGENT, agent).await.map_err(failed)?;
    session.insert(TEACHER, id).await.map_err(failed)
}

/// The secret id of this session, as the database has it.
pub(crate) fn id(session: &Session) -> store::session::SessionId {
    session.id().map(|id| id.0.to_be_bytes()).unwrap_or_default()
}

/// What is told of an open session: on what it was begun, and when it was used last (to the day).
pub(crate) fn told(open: &store::session::OpenSession) -> (String, i64) {
    let data: HashMap<String, Value> = serde_json::from_str(&open.data).unwrap_or_default();
    let agent = data.get(AGENT).and_then(Value::as_str).unwrap_or_default().to_owned();
    (agent, open.expires_at - TEACHER_DAYS * DAY)
}

/// Signs out, and forgets the desks of this browser too.
pub(crate) async fn sign_out(session: &Session) -> std::result::Result<(), ApiError> {
    session.flush().await.map_err(failed)
}

type Students = BTreeMap<ClassId, StudentId>;

/// The student of a class whom this browser was let in as.
pub(crate) async fn student(
    session: &Session,
    class: ClassId,
) -> std::result::Result<Option<StudentId>, ApiError> {
    let students: Students = session.get(STUDENTS).await.map_err(failed)?.unwrap_or_default();
    Ok(students.get(&class).copied())
}

/// Lets a student of a class in (or, with `None`, out).
pub(crate) async fn enter(
    session: &Session,
    class: ClassId,
    student: Option<StudentId>,
) -> std::result::Result<(), ApiError> {
    let mut students: Students = session.get(STUDENTS).await.map_err(failed)?.unwrap_or_default();
    let before = match student {
        Some(student) => students.insert(class, student),
        None => students.remove(&class),
    };
    if before == student {
        return Ok(());
    }
    while students.len() > MOST_DESKS {
        students.pop_first();
    }
    session.insert(STUDENTS, students).await.map_err(failed)
}

type Desks = BTreeMap<String, DeskId>;

/// The desk that this browser sits at behind a link.
pub(crate) async fn desk(
    session: &Session,
    link: &str,
) -> std::result::Result<Option<DeskId>, ApiError> {
    let desks: Desks = session.get(DESKS).await.map_err(failed)?.unwrap_or_default();
    Ok(desks.get(link).copied())
}

/// Sits down at a desk (or, with `None`, leaves it).
pub(crate) async fn sit_down(
    session: &Session,
    link: &str,
    desk: Option<DeskId>,
) -> std::result::Result<(), ApiError> {
    let mut desks: Desks = session.get(DESKS).await.map_err(failed)?.unwrap_or_default();
    let before = match desk {
        Some(desk) => desks.insert(link.to_owned(), desk),
        None => desks.remove(link),
    };
    // Whoever leaves a desk that they did not have needs no session.
    if before == desk {
        return Ok(());
    }
    while desks.len() > MOST_DESKS {
        // The oldest desk has the lowest number.
        let oldest = desks.iter().min_by_key(|(_, id)| **id).map(|(link, _)| link.clone());
        oldest.and_then(|link| desks.remove(&link));
    }
    session.insert(DESKS, desks).await.map_err(failed)
}

#[cfg(test)]
mod tests {
    use super::*;

    #[tokio::test]
    async fn a_session_that_is_used_goes_on_and_one_that_is_not_ends() {
        let db = scratch::scratch().await.expect("a database").db;
        let sessions = Sessions(db.clone());
        for (key, days) in [(TEACHER, TEACHER_DAYS), (DESKS, STUDENT_DAYS)] {
            let data = HashMap::from([(key.to_owned(), Value::from(7))]);
            let mut record =
                Record { id: Id::default(), data, expiry_date: OffsetDateTime::now_utc() };
            sessions.create(&mut record).await.expect("kept");
            let id = record.id.0.to_be_bytes();
            let until = async || {
                store::session::load(&db, id, now()).await.expect("an answer").map(|(_, at)| at)
            };
            assert!(until().await.is_some_and(|at| (at - now() - days * DAY).abs() < 60));
            // Nearly over, and used once more.
            store::session::renew(&db, id, now() + 100).await.expect("kept");
            assert!(sessions.load(&record.id).await.expect("an answer").is_some());
            assert!(until().await.is_some_and(|at| (at - now() - days * DAY).abs() < 60));
            store::session::renew(&db, id, now() - 1).await.expect("kept");
            assert!(sessions.load(&record.id).await.expect("an answer").is_none());
        }
    }
}
