//! Teachers: who may sign in.

use crate::session::SessionId;
use crate::{Db, StoreError, TeacherId};
use serde_json::json;
use sqlx::types::Json;
use sqlx::{MySql, Transaction};

/// A teacher, with what is needed to check a password.
#[derive(Debug, Clone, sqlx::FromRow)]
pub struct Teacher {
    /// Their id.
    pub id: TeacherId,
    /// What they sign in with.
    pub sign_in: String,
    /// Their name.
    pub name: String,
    /// The hash of their password, in PHC form.
    pub password_hash: String,
    /// Whether they administer this installation.
    pub is_administrator: bool,
}

const COLUMNS: &str = "id, sign_in, name, password_hash, is_administrator";

/// The teacher who signs in as `sign_in`.
///
/// # Errors
/// [`StoreError::NotFound`] when there is none.
pub async fn by_sign_in(db: &Db, sign_in: &str) -> Result<Teacher, StoreError> {
    let sql = sqlx::AssertSqlSafe(format!("SELECT {COLUMNS} FROM teacher WHERE sign_in = ?"));
    let found = sqlx::query_as(sql).bind(sign_in).fetch_optional(db).await?;
    found.ok_or(StoreError::NotFound)
}

/// A teacher.
///
/// # Errors
/// [`StoreError::NotFound`] when there is none.
pub async fn find(db: &Db, id: TeacherId) -> Result<Teacher, StoreError> {
    let sql = sqlx::AssertSqlSafe(format!("SELECT {COLUMNS} FROM teacher WHERE id = ?"));
    sqlx::query_as(sql).bind(id).fetch_optional(db).await?.ok_or(StoreError::NotFound)
}

/// Keeps a new teacher. The first one of an installation is its administrator.
///
/// # Errors
/// [`StoreError::Taken`] when somebody else signs in by that name.
pub async fn create(
    db: &Db,
    sign_in: &str,
    name: &str,
    password_hash: &str,
) -> Result<TeacherId, StoreError> {
    // One statement: of two that are first at once, the second waits and finds the other.
    let sql = "INSERT INTO teacher (sign_in, name, password_hash, is_administrator)
               SELECT ?, ?, ?, COUNT(*) = 0 FROM teacher AS others";
    let done = sqlx::query(sql).bind(sign_in).bind(name).bind(password_hash).execute(db).await;
    match done {
        Ok(done) => Ok(TeacherId(done.last_insert_id())),
        Err(sqlx::Error::Database(error)) if error.is_unique_violation() => Err(StoreError::Taken),
        Err(error) => Err(error.into()),
    }
}

/// Sets a new password, and ends every session of this teacher but `stays`.
///
/// # Errors
/// [`StoreError::NotFound`] when there is no such teacher.
pub async fn set_password(
    db: &Db,
    id: TeacherId,
    password_hash: &str,
    stays: Option<SessionId>,
) -> Result<(), StoreError> {
    let mut transaction = db.begin().await?;
    lock(&mut transaction, id).await?;
    let sql = "UPDATE teacher SET password_hash = ? WHERE id = ?";
    sqlx::query(sql).bind(password_hash).bind(id).execute(&mut *transaction).await?;
    let sql = "DELETE FROM session WHERE teacher = ? AND id <> ?";
    let stays = stays.unwrap_or_default();
    sqlx::query(sql).bind(id).bind(&stays[..]).execute(&mut *transaction).await?;
    let sql = "DELETE FROM token WHERE teacher = ? AND purpose = 'reset'";
    sqlx::query(sql).bind(id).execute(&mut *transaction).await?;
    transaction.commit().await?;
    Ok(())
}

/// Everybody who has an account, by name.
///
/// # Errors
/// The database does not answer.
pub async fn all(db: &Db) -> Result<Vec<Teacher>, StoreError> {
    let sql = format!("SELECT {COLUMNS} FROM teacher ORDER BY name, id LIMIT 2000");
    Ok(sqlx::query_as(sqlx::AssertSqlSafe(sql)).fetch_all(db).await?)
}

/// Makes somebody an administrator too.
///
/// # Errors
/// [`StoreError::NotFound`] when there is no such teacher.
pub async fn make_administrator(db: &Db, id: TeacherId) -> Result<(), StoreError> {
    find(db, id).await?;
    let sql = "UPDATE teacher SET is_administrator = TRUE WHERE id = ?";
    sqlx::query(sql).bind(id).execute(db).await?;
    Ok(())
}

/// Whether others would be left without an administrator when this one goes.
///
/// # Errors
/// The database does not answer.
pub async fn is_last_administrator(db: &Db, id: TeacherId) -> Result<bool, StoreError> {
    let sql = "SELECT
        EXISTS (SELECT 1 FROM teacher WHERE id = ? AND is_administrator)
        AND EXISTS (SELECT 1 FROM teacher WHERE id <> ?)
        AND NOT EXISTS (SELECT 1 FROM teacher WHERE id <> ? AND is_administrator)";
    let query = sqlx::query_scalar::<_, i64>(sql).bind(id).bind(id).bind(id);
    Ok(query.fetch_one(db).await? != 0)
}

/// All that is a teacher's own, as one document: lessons, ladders with what students wrote, scenarios.
///
/// # Errors
/// [`StoreError::NotFound`] when there is no such teacher.
pub async fn export(db: &Db, id: TeacherId) -> Result<serde_json::Value, StoreError> {
    type Document = Json<serde_json::Value>;
    let teacher = find(db, id).await?;
    let mut transaction = db.begin().await?;
    let sql = "SELECT id, title, document FROM lesson WHERE owner = ? ORDER BY id";
    let lessons: Vec<(u64, String, Document)> =
        sqlx::query_as(sql).bind(id).fetch_all(&mut *transaction).await?;
    let sql = "SELECT id, lesson, title, document FROM ladder WHERE owner = ? ORDER BY id";
    let ladders: Vec<(u64, Option<u64>, String, Document)> =
        sqlx::query_as(sql).bind(id).fetch_all(&mut *transaction).await?;
    let sql =
        "SELECT desk.ladder, desk.student, desk_rung.rung, desk_rung.written, desk_rung.answer
               FROM desk_rung JOIN desk ON desk.id = desk_rung.desk
               JOIN ladder ON ladder.id = desk.ladder WHERE ladder.owner = ?
               ORDER BY desk.ladder, desk.id, desk_rung.rung";
    let written: Vec<(u64, String, u16, Document, Option<Document>)> =
        sqlx::query_as(sql).bind(id).fetch_all(&mut *transaction).await?;
    let sql = "SELECT document FROM scenario WHERE owner = ? ORDER BY id";
    let scenarios: Vec<(Document,)> =
        sqlx::query_as(sql).bind(id).fetch_all(&mut *transaction).await?;
    transaction.commit().await?;
    let lesson = |(id, title, Json(lesson)): (u64, String, Document)| json!({"id": id, "title": title, "lesson": lesson});
    let ladder = |(id, lesson, title, Json(ladder)): (u64, Option<u64>, String, Document)| json!({"id": id, "lesson": lesson, "title": title, "ladder": ladder});
    let work = |(ladder, student, rung, Json(lines), answer): (
        u64,
        String,
        u16,
        Document,
        Option<Document>,
    )| {
        json!({"ladder": ladder, "student": student, "rung": rung, "lines": lines,
               "answer": answer.map(|Json(answer)| answer)})
    };
    Ok(json!({
        "format": "honey-ladder-account",
        "version": 1,
        "name": teacher.name,
        "sign_in": teacher.sign_in,
        "lessons": lessons.into_iter().map(lesson).collect::<Vec<_>>(),
        "ladders": ladders.into_iter().map(ladder).collect::<Vec<_>>(),
        "work": written.into_iter().map(work).collect::<Vec<_>>(),
        "scenarios": scenarios.into_iter().map(|(Json(one),)| one).collect::<Vec<_>>(),
    }))
}

/// Whether nobody has an account yet.
///
/// # Errors
/// The database does not answer.
pub async fn none_yet(db: &Db) -> Result<bool, StoreError> {
    let any: Option<u64> =
        sqlx::query_scalar("SELECT id FROM teacher LIMIT 1").fetch_optional(db).await?;
    Ok(any.is_none())
}

/// Takes an account away with all that is its own: lessons with their versions, ladders with their desks, drafts,
/// scenarios and images.
///
/// # Errors
/// [`StoreError::NotFound`] when there is none.
pub async fn remove(db: &Db, id: TeacherId) -> Result<(), StoreError> {
    let mut transaction = db.begin().await?;
    lock(&mut transaction, id).await?;
    for sql in [
        "DELETE desk_rung FROM desk_rung JOIN desk ON desk.id = desk_rung.desk
           JOIN ladder ON ladder.id = desk.ladder WHERE ladder.owner = ?",
        "DELETE desk FROM desk JOIN ladder ON ladder.id = desk.ladder WHERE ladder.owner = ?",
        "DELETE assignment FROM assignment JOIN class ON class.id = assignment.class
           WHERE class.owner = ?",
        "DELETE live_event FROM live_event JOIN live_lesson ON live_lesson.id = live_event.live
           JOIN class ON class.id = live_lesson.class WHERE class.owner = ?",
        "DELETE live_lesson FROM live_lesson JOIN class ON class.id = live_lesson.class
           WHERE class.owner = ?",
        "DELETE student FROM student JOIN class ON class.id = student.class WHERE class.owner = ?",
        "DELETE FROM class WHERE owner = ?",
        "DELETE lesson_editor FROM lesson_editor JOIN lesson ON lesson.id = lesson_editor.lesson
           WHERE lesson.owner = ?",
        "DELETE FROM lesson_editor WHERE teacher = ?",
        "DELETE FROM share WHERE owner = ?",
        "DELETE FROM ladder WHERE owner = ?",
        "DELETE FROM shelf_bench WHERE owner = ?",
        "DELETE bench FROM bench JOIN lesson ON lesson.id = bench.lesson WHERE lesson.owner = ?",
        "DELETE lesson_version FROM lesson_version JOIN lesson ON lesson.id = lesson_version.lesson
           WHERE lesson.owner = ?",
        "DELETE FROM lesson WHERE owner = ?",
        "DELETE FROM scenario WHERE owner = ?",
        "DELETE FROM image WHERE owner = ?",
        "DELETE FROM session WHERE teacher = ?",
        "DELETE FROM token WHERE teacher = ?",
        "DELETE FROM teacher WHERE id = ?",
    ] {
        sqlx::query(sql).bind(id).execute(&mut *transaction).await?;
    }
    transaction.commit().await?;
    Ok(())
}

/// Keeps others from counting or adding what is this teacher's until the transaction ends.
pub(crate) async fn lock(
    transaction: &mut Transaction<'_, MySql>,
    id: TeacherId,
) -> Result<(), StoreError> {
    let sql = "SELECT id FROM teacher WHERE id = ? FOR UPDATE";
    let found: Option<TeacherId> =
        sqlx::query_scalar(sql).bind(id).fetch_optional(&mut **transaction).await?;
    found.map(|_| ()).ok_or(StoreError::NotFound)
}
