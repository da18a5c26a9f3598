//! The connection pool, the migrations, and what can go wrong.

use sqlx::MySqlPool;
use sqlx::mysql::{MySqlConnectOptions, MySqlPoolOptions};
use std::str::FromStr;
use std::time::Duration;

/// A pool of connections.
pub type Db = MySqlPool;

static MIGRATIONS: sqlx::migrate::Migrator = sqlx::migrate!();

/// Why something could not be read or kept.
#[derive(Debug, thiserror::Error)]
pub enum StoreError {
    /// There is none, or it is somebody else's: strangers learn nothing from the difference.
    #[error("not found")]
    NotFound,
    /// Somebody saved in between; this is the revision that stands now.
    #[error("stale: revision {revision} stands")]
    Stale {
        /// The revision that stands now.
        revision: u32,
    },
    /// There is no page of a list that begins there.
    #[error("no such page")]
    NoSuchPage,
    /// There is no room for one more.
    #[error("full")]
    Full,
    /// What is kept cannot be understood: a mistake of ours.
    #[error("damaged document: {0}")]
    Damaged(#[from] serde_json::Error),
    /// The database did not do it.
    #[error(transparent)]
    Database(#[from] sqlx::Error),
    /// The tables could not be brought up to date.
    #[error(transparent)]
    Migration(#[from] sqlx::migrate::MigrateError),
}

/// Connects to `url` and brings the tables up to date.
///
/// # Errors
/// The database cannot be reached within ten seconds, or its tables are newer than this program.
pub async fn connect(url: &str) -> Result<Db, StoreError> {
    let options = MySqlConnectOptions::from_str(url)?.charset("utf8mb4");
    let db = MySqlPoolOptions::new()
        .max_connections(16)
        .acquire_timeout(Duration::from_secs(10))
        .connect_with(options)
        .await?;
    MIGRATIONS.run(&db).await?;
    crate::summaries::complete(&db).await?;
    Ok(db)
}

/// A link that nobody can guess: 128 random bits in 26 letters and digits that are hard to confuse.
#[must_use]
pub fn link() -> String {
    const SIGNS: &[u8; 32] = b"abcdefghijkmnpqrstuvwxyz23456789";
    let mut bits: u128 = rand::random();
    let mut text = String::with_capacity(26);
    for _ in 0..26 {
        text.push(char::from(SIGNS[usize::try_from(bits & 31).unwrap_or_default()]));
        bits >>= 5;
    }
    text
}
