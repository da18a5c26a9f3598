//! Ways in and ways back that are given out once: invitations, and resets of a password. What is kept is a hash.

use crate::database::random_signs;
use crate::{Db, StoreError, TeacherId};

/// What a token is for.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub enum Purpose {
    /// Making an account where sign-up asks for an invitation.
    Invitation,
    /// Setting a new password.
    Reset,
}

impl Purpose {
    const fn name(self) -> &'static str {
        match self {
            Self::Invitation => "invitation",
            Self::Reset => "reset",
        }
    }
}

/// Signs of a token: 120 random bits.
const SIGNS: usize = 24;

/// Gives out a new token, which works until `expires_at` (Unix time in seconds).
///
/// # Errors
/// The database does not answer.
pub async fn give_out(
    db: &Db,
    purpose: Purpose,
    teacher: TeacherId,
    expires_at: i64,
) -> Result<String, StoreError> {
    let token = random_signs(SIGNS);
    let mut transaction = db.begin().await?;
    // A newer way back takes the place of an older one.
    if purpose == Purpose::Reset {
        let sql = "DELETE FROM token WHERE teacher = ? AND purpose = ?";
        sqlx::query(sql).bind(teacher).bind(purpose.name()).execute(&mut *transaction).await?;
    }
    let sql = "INSERT INTO token (secret, purpose, teacher, expires_at)
               VALUES (UNHEX(SHA2(?, 256)), ?, ?, ?)";
    let query = sqlx::query(sql).bind(&token).bind(purpose.name()).bind(teacher);
    query.bind(expires_at).execute(&mut *transaction).await?;
    transaction.commit().await?;
    Ok(token)
}

/// Takes a token in: it works once. Tells who gave it out, or whose it is.
///
/// # Errors
/// [`StoreError::NotFound`] when there is none, it was used, or it has ended at `now`.
pub async fn take_in(
    db: &Db,
    purpose: Purpose,
    token: &str,
    now: i64,
) -> Result<TeacherId, StoreError> {
    let mut transaction = db.begin().await?;
    let sql = "SELECT teacher FROM token
               WHERE secret = UNHEX(SHA2(?, 256)) AND purpose = ? AND expires_at > ? FOR UPDATE";
    let query = sqlx::query_scalar(sql).bind(token).bind(purpose.name()).bind(now);
    let found: Option<TeacherId> = query.fetch_optional(&mut *transaction).await?;
    let teacher = found.ok_or(StoreError::NotFound)?;
    let sql = "DELETE FROM token WHERE secret = UNHEX(SHA2(?, 256))";
    sqlx::query(sql).bind(token).execute(&mut *transaction).await?;
    transaction.commit().await?;
    Ok(teacher)
}

/// Whether a token would be taken in.
///
/// # Errors
/// The database does not answer.
pub async fn works(db: &Db, purpose: Purpose, token: &str, now: i64) -> Result<bool, StoreError> {
    let sql = "SELECT 1 FROM token
               WHERE secret = UNHEX(SHA2(?, 256)) AND purpose = ? AND expires_at > ?";
    let query = sqlx::query_scalar(sql).bind(token).bind(purpose.name()).bind(now);
    let found: Option<i64> = query.fetch_optional(db).await?;
    Ok(found.is_some())
}

/// Takes out tokens that ended before `now`.
///
/// # Errors
/// The database does not answer.
pub async fn sweep(db: &Db, now: i64) -> Result<u64, StoreError> {
    let sql = "DELETE FROM token WHERE expires_at <= ?";
    Ok(sqlx::query(sql).bind(now).execute(db).await?.rows_affected())
}
