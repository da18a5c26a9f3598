//! Teachers: who may sign in.

use crate::{Db, StoreError, TeacherId};
use sqlx::{MySql, Transaction};

/// A teacher, with what is needed to check a password.
#[derive(Debug, Clone, sqlx::FromRow)]
pub struct Teacher {
    /// Their id.
    pub id: TeacherId,
    /// Their name.
    pub name: String,
    /// The hash of their password, in PHC form.
    pub password_hash: String,
}

/// The teacher who signs in as `sign_in`.
///
/// # Errors
/// [`StoreError::NotFound`] when there is none.
pub async fn by_sign_in(db: &Db, sign_in: &str) -> Result<Teacher, StoreError> {
    let sql = "SELECT id, name, password_hash FROM teacher WHERE sign_in = ?";
    let found = sqlx::query_as(sql).bind(sign_in).fetch_optional(db).await?;
    found.ok_or(StoreError::NotFound)
}

/// The name of a teacher.
///
/// # Errors
/// [`StoreError::NotFound`] when there is none.
pub async fn name(db: &Db, id: TeacherId) -> Result<String, StoreError> {
    let sql = "SELECT name FROM teacher WHERE id = ?";
    sqlx::query_scalar(sql).bind(id).fetch_optional(db).await?.ok_or(StoreError::NotFound)
}

/// Keeps a new teacher.
///
/// # Errors
/// Somebody else signs in by that name.
pub async fn create(
    db: &Db,
    sign_in: &str,
    name: &str,
    password_hash: &str,
) -> Result<TeacherId, StoreError> {
    let sql = "INSERT INTO teacher (sign_in, name, password_hash) VALUES (?, ?, ?)";
    let done = sqlx::query(sql).bind(sign_in).bind(name).bind(password_hash).execute(db).await?;
    Ok(TeacherId(done.last_insert_id()))
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
        "DELETE FROM ladder WHERE owner = ?",
        "DELETE bench FROM bench JOIN lesson ON lesson.id = bench.lesson WHERE lesson.owner = ?",
        "DELETE lesson_version FROM lesson_version JOIN lesson ON lesson.id = lesson_version.lesson
           WHERE lesson.owner = ?",
        "DELETE FROM lesson WHERE owner = ?",
        "DELETE FROM scenario WHERE owner = ?",
        "DELETE FROM image WHERE owner = ?",
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
