//! What is known of an installation.

use crate::{Db, StoreError};

/// What stands under a name.
///
/// # Errors
/// The database does not answer.
pub async fn get(db: &Db, name: &str) -> Result<Option<String>, StoreError> {
    let sql = "SELECT value FROM setting WHERE name = ?";
    Ok(sqlx::query_scalar(sql).bind(name).fetch_optional(db).await?)
}

/// Puts a value under a name.
///
/// # Errors
/// The database does not answer.
pub async fn set(db: &Db, name: &str, value: &str) -> Result<(), StoreError> {
    let sql = "INSERT INTO setting (name, value) VALUES (?, ?) ON DUPLICATE KEY UPDATE value = VALUES(value)";
    sqlx::query(sql).bind(name).bind(value).execute(db).await?;
    Ok(())
}
