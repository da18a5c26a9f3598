//! Sign-in sessions: a secret id, what goes with it, and when it ends.

use crate::{Db, StoreError};

/// A session's id: 128 secret random bits.
pub type SessionId = [u8; 16];

/// Keeps a session, new or changed.
///
/// # Errors
/// The database does not answer.
pub async fn save(db: &Db, id: SessionId, data: &str, expires_at: i64) -> Result<(), StoreError> {
    let sql = "INSERT INTO session (id, data, expires_at) VALUES (?, ?, ?)
               ON DUPLICATE KEY UPDATE data = VALUES(data), expires_at = VALUES(expires_at)";
    sqlx::query(sql).bind(&id[..]).bind(data).bind(expires_at).execute(db).await?;
    Ok(())
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
