//! What happened to accounts: who did what, when, from where. Kept a year.

use crate::page::{self, Page, cursor, numbers};
use crate::{Db, StoreError, TeacherId};

/// Something that happened.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub enum Event {
    /// An account was made.
    AccountMade,
    /// Somebody signed in.
    SignedIn,
    /// A password was wrong.
    SignInFailed,
    /// A password was changed by its owner.
    PasswordChanged,
    /// A message with a way back was written.
    ResetAsked,
    /// A password was set anew by a way back.
    PasswordReset,
    /// A session was ended from another one.
    SessionEnded,
    /// All that is an account's own was taken out as a file.
    Exported,
    /// An account was deleted with its data.
    AccountDeleted,
    /// An invitation was given out.
    Invited,
    /// Who may make an account was changed.
    SignUpChanged,
}

impl Event {
    /// Its name in the log.
    #[must_use]
    pub const fn name(self) -> &'static str {
        match self {
            Self::AccountMade => "account made",
            Self::SignedIn => "signed in",
            Self::SignInFailed => "sign-in failed",
            Self::PasswordChanged => "password changed",
            Self::ResetAsked => "reset asked",
            Self::PasswordReset => "password reset",
            Self::SessionEnded => "session ended",
            Self::Exported => "exported",
            Self::AccountDeleted => "account deleted",
            Self::Invited => "invited",
            Self::SignUpChanged => "sign-up changed",
        }
    }
}

/// Seconds that an entry is kept.
const KEPT: i64 = 365 * 86_400;

/// An entry of the log.
#[derive(Debug, Clone, PartialEq, Eq, sqlx::FromRow)]
pub struct Entry {
    /// Its number.
    pub id: u64,
    /// When, as Unix time in seconds.
    pub at: i64,
    /// The name that was signed in with.
    pub name: String,
    /// What happened.
    pub what: String,
    /// From which address.
    pub address: String,
}

/// Writes down what happened at `now`.
///
/// # Errors
/// The database does not answer.
pub async fn write(
    db: &Db,
    event: Event,
    teacher: Option<TeacherId>,
    name: &str,
    address: &str,
    now: i64,
) -> Result<(), StoreError> {
    let name: String = name.chars().take(120).collect();
    let sql = "INSERT INTO audit (at, teacher, name, what, address) VALUES (?, ?, ?, ?, ?)";
    let query = sqlx::query(sql).bind(now).bind(teacher).bind(name).bind(event.name());
    query.bind(address).execute(db).await?;
    Ok(())
}

/// A page of the log, the latest first.
///
/// # Errors
/// [`StoreError::NoSuchPage`] for a cursor that is not one of ours.
pub async fn read(db: &Db, after: Option<&str>) -> Result<Page<Entry>, StoreError> {
    let [before] = after.map_or(Ok([i64::MAX]), numbers)?;
    let sql = "SELECT id, at, name, what, address FROM audit WHERE id < ? ORDER BY id DESC LIMIT ?";
    let query = sqlx::query_as(sql).bind(before).bind(page::MOST + 1);
    let entries: Vec<Entry> = query.fetch_all(db).await?;
    let at = |entry: &Entry| cursor([i64::try_from(entry.id).unwrap_or(i64::MAX).into()]);
    Ok(Page::of(entries, page::MOST, at))
}

/// Takes out what is older than a year at `now`.
///
/// # Errors
/// The database does not answer.
pub async fn sweep(db: &Db, now: i64) -> Result<u64, StoreError> {
    let sql = "DELETE FROM audit WHERE at < ?";
    Ok(sqlx::query(sql).bind(now - KEPT).execute(db).await?.rows_affected())
}
