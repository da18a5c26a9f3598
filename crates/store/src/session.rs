//! Sign-in sessions: a secret id, what goes with it, and when it ends.

use crate::{Db, StoreError, TeacherId};

/// A session's id: 128 secret random bits.
pub type SessionId = [u8; 16];

/// Keeps a session, new or changed.
///
/// # Errors
/// The database does not answer.
pub async fn save(
    db: &Db,
    id: SessionId,
    data: &str,
    teacher: Option<TeacherId>,
    expires_at: i64,
) -> Result<(), StoreError> {
    let sql = "INSERT INTO session (id, data, teacher, expires_at) VALUES (?, ?, ?, ?)
               ON DUPLICATE KEY UPDATE data = VALUES(data), teacher = VALUES(teacher),
                 expires_at = VALUES(expires_at)";
    let query = sqlx::query(sql).bind(&id[..]).bind(data).bind(teacher).bind(expires_at);
    query.execute(db).await?;
    Ok(())
}

/// A session of a teacher, as its owner may see it: its secret id is not told.
#[derive(Debug, Clone, PartialEq, Eq, sqlx::FromRow)]
pub struct OpenSession {
    /// A name for it that opens nothing.
    pub name: String,
    /// What goes with it.
    pub data: String,
    /// When it ends, as Unix time in seconds.
    pub expires_at: i64,
    /// Whether it is the one that asks.
    pub is_this: bool,
}

/// The sessions of a teacher that have not ended at `now`, the one used last first.
///
/// # Errors
/// The database does not answer.
pub async fn of_teacher(
    db: &Db,
    teacher: TeacherId,
    this: SessionId,
    now: i64,
) -> Result<Vec<OpenSession>, StoreError> {
    let sql = "SELECT LEFT(SHA2(id, 256), 24) AS name, data, expires_at, id = ? AS is_this
               FROM session WHERE teacher = ? AND expires_at > ?
               ORDER BY is_this DESC, expires_at DESC LIMIT 100";
    Ok(sqlx::query_as(sql).bind(&this[..]).bind(teacher).bind(now).fetch_all(db).await?)
}

/// Ends a teacher's session by its name.
///
/// # Errors
/// [`StoreError::NotFound`] when no session of theirs has that name.
pub async fn end(db: &Db, teacher: TeacherId, name: &str) -> Result<(), StoreError> {
    let sql = "DELETE FROM session WHERE teacher = ? AND LEFT(SHA2(id, 256), 24) = ?";
    let done = sqlx::query(sql).bind(teacher).bind(name).execute(db).await?;
    if done.rows_affected() == 0 { Err(StoreError::NotFound) } else { Ok(()) }
}

/// The data of a session that has not ended at `now` (Unix time in seconds), and when it ends.
///
/// # Errors
/// The database does not answer.
pub async fn load(db: &Db, id: SessionId, now: i64) -> Result<Option<(String, i64)>, StoreError> {
    let sql = "SELECT data, expires_at FROM session WHERE id = ? AND expires_at > ?";
    Ok(sqlx::query_as(sql).bind(&id[..]).bind(now).fetch_optional(db).await?)
}

/// Lets a session that is in use end later.
///
/// # Errors
/// The database does not answer.
pub async fn renew(db: &Db, id: SessionId, expires_at: i64) -> Result<(), StoreError> {
    let sql = "UPDATE session SET expires_at = ? WHERE id = ?";
    sqlx::query(sql).bind(expires_at).bind(&id[..]).execute(db).await?;
    Ok(())
}

/// Ends a session.
///
/// # Errors
/// The database does not answer.
pub async fn delete(db: &Db, id: SessionId) -> Result<(), StoreError> {
    sqlx::query("DELETE FROM session WHERE id = ?").bind(&id[..]).execute(db).await?;
    Ok(())
}

/// Takes out sessions that ended before `now`.
///
/// # Errors
/// The database does not answer.
pub async fn sweep(db: &Db, now: i64) -> Result<u64, StoreError> {
    let sql = "DELETE FROM session WHERE expires_at <= ?";
    Ok(sqlx::query(sql).bind(now).execute(db).await?.rows_affected())
}
