//! The connection pool, the migrations, and what can go wrong.

use sqlx::mysql::{MySqlConnectOptions, MySqlPoolOptions};
use sqlx::{Connection, MySqlConnection, MySqlPool};
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
    /// Somebody else has that name already.
    #[error("taken")]
    Taken,
    /// It was tried too often; in so many seconds it may be tried again.
    #[error("too often: again in {seconds} s")]
    TooOften {
        /// When it may be tried again.
        seconds: u32,
    },
    /// Another program is starting on the same database.
    #[error("another program has been starting on this database for two minutes")]
    Starting,
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

/// Longest wait for a connection.
const WAIT: Duration = Duration::from_secs(5);
/// In seconds, longest wait for another program that starts on the same database.
const START: u32 = 120;
/// The migrations up to this one were made to bear being run twice after they had been run: what a database
/// remembers of them is renewed.
const REWRITTEN: i64 = 7;

/// Connects to `url` and brings the tables up to date.
///
/// # Errors
/// The database cannot be reached within a few seconds, or its tables are newer than this program.
pub async fn connect(url: &str) -> Result<Db, StoreError> {
    let opening = open(url).await?;
    opening.done().await
}

/// A database that is being made ready: no other program makes it ready until this is done.
pub struct Opening {
    /// Its connections.
    pub db: Db,
    lock: MySqlConnection,
}

/// Connects to `url` and brings the tables up to date, while others that do the same wait.
///
/// # Errors
/// As [`connect`], and when another program takes too long to start on it.
pub async fn open(url: &str) -> Result<Opening, StoreError> {
    let options = MySqlConnectOptions::from_str(url)?.charset("utf8mb4");
    let mut lock = MySqlConnection::connect_with(&options).await?;
    // The database gives the lock back when the connection ends, however it ends.
    let sql = "SELECT GET_LOCK(CONCAT('honey_ladder ', DATABASE()), ?)";
    let has_it: Option<i64> = sqlx::query_scalar(sql).bind(START).fetch_one(&mut lock).await?;
    if has_it != Some(1) {
        return Err(StoreError::Starting);
    }
    let pool = MySqlPoolOptions::new().max_connections(16).acquire_timeout(WAIT);
    let db = pool.connect_with(options).await?;
    go_on(&mut lock).await?;
    MIGRATIONS.run(&db).await?;
    crate::summaries::complete(&db).await?;
    Ok(Opening { db, lock })
}

impl Opening {
    /// Lets others make it ready.
    ///
    /// # Errors
    /// The database does not answer.
    pub async fn done(self) -> Result<Db, StoreError> {
        self.lock.close().await?;
        Ok(self.db)
    }
}

/// A migration that was cut off is run again: each of its statements may be run twice.
async fn go_on(connection: &mut MySqlConnection) -> Result<(), StoreError> {
    let sql = "SELECT COUNT(*) FROM information_schema.tables
               WHERE table_schema = DATABASE() AND table_name = '_sqlx_migrations'";
    let known: i64 = sqlx::query_scalar(sql).fetch_one(&mut *connection).await?;
    if known == 0 {
        return Ok(());
    }
    let sql = "DELETE FROM _sqlx_migrations WHERE success = FALSE";
    sqlx::query(sql).execute(&mut *connection).await?;
    for migration in MIGRATIONS.iter().filter(|migration| migration.version <= REWRITTEN) {
        let sql = "UPDATE _sqlx_migrations SET checksum = ? WHERE version = ?";
        let query = sqlx::query(sql).bind(&*migration.checksum).bind(migration.version);
        query.execute(&mut *connection).await?;
    }
    Ok(())
}

/// A link that nobody can guess: 128 random bits in 26 letters and digits that are hard to confuse.
#[must_use]
pub fn link() -> String {
    random_signs(26)
}

/// At most 26 random letters and digits that are hard to confuse.
pub(crate) fn random_signs(count: usize) -> String {
    const SIGNS: &[u8; 32] = b"abcdefghijkmnpqrstuvwxyz23456789";
    let mut bits: u128 = rand::random();
    let mut text = String::with_capacity(count);
    for _ in 0..count {
        text.push(char::from(SIGNS[usize::try_from(bits & 31).unwrap_or_default()]));
        bits >>= 5;
    }
    text
}
