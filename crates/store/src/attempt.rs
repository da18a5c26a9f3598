//! How often something is tried: counted in the database, so that several servers count together. What is counted is
//! kept as a hash alone.

use crate::{Db, StoreError};

/// So many times in so many seconds.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub struct Allowed {
    /// How often.
    pub times: u32,
    /// In how many seconds.
    pub seconds: i64,
}

/// Counts one more try of `subject` at `now` (Unix time in seconds), and tells whether it is allowed.
///
/// # Errors
/// [`StoreError::TooOften`] when it was tried more often than that.
pub async fn count(db: &Db, subject: &str, allowed: Allowed, now: i64) -> Result<(), StoreError> {
    let mut transaction = db.begin().await?;
    let sql = "INSERT INTO attempt (subject, began, times) VALUES (UNHEX(SHA2(?, 256)), ?, 1)
               ON DUPLICATE KEY UPDATE
                 times = IF(began + ? <= VALUES(began), 1, times + 1),
                 began = IF(began + ? <= VALUES(began), VALUES(began), began)";
    let query = sqlx::query(sql).bind(subject).bind(now);
    query.bind(allowed.seconds).bind(allowed.seconds).execute(&mut *transaction).await?;
    let sql = "SELECT began, times FROM attempt WHERE subject = UNHEX(SHA2(?, 256))";
    let (began, times): (i64, u32) =
        sqlx::query_as(sql).bind(subject).fetch_one(&mut *transaction).await?;
    transaction.commit().await?;
    if times <= allowed.times {
        return Ok(());
    }
    let seconds = u32::try_from(began + allowed.seconds - now).unwrap_or(1);
    Err(StoreError::TooOften { seconds: seconds.max(1) })
}

/// Forgets what was counted: it went well.
///
/// # Errors
/// The database does not answer.
pub async fn forget(db: &Db, subject: &str) -> Result<(), StoreError> {
    let sql = "DELETE FROM attempt WHERE subject = UNHEX(SHA2(?, 256))";
    sqlx::query(sql).bind(subject).execute(db).await?;
    Ok(())
}

/// Takes out what was counted more than a day before `now`.
///
/// # Errors
/// The database does not answer.
pub async fn sweep(db: &Db, now: i64) -> Result<u64, StoreError> {
    let sql = "DELETE FROM attempt WHERE began < ?";
    Ok(sqlx::query(sql).bind(now - 86_400).execute(db).await?.rows_affected())
}
