//! What every route may use.

use crate::error::ApiError;
use std::sync::Arc;
use store::Db;
use tokio::sync::Semaphore;

/// Passwords hashed at a time: each takes about 20 MB.
const HASHES: usize = 2;
/// Sheets typeset at a time: each keeps one core busy.
const SHEETS: usize = 2;

/// The state of the server: nothing that it cannot build again.
#[derive(Clone)]
pub struct App {
    pub(crate) db: Db,
    pub(crate) hashes: Arc<Semaphore>,
    pub(crate) sheets: Arc<Semaphore>,
}

impl App {
    /// A server on this database.
    #[must_use]
    pub fn new(db: Db) -> Self {
        let permits = |n| Arc::new(Semaphore::new(n));
        Self { db, hashes: permits(HASHES), sheets: permits(SHEETS) }
    }
}

/// Runs work that computes, away from the threads that answer requests.
pub(crate) async fn compute<T: Send + 'static>(
    work: impl FnOnce() -> T + Send + 'static,
) -> Result<T, ApiError> {
    tokio::task::spawn_blocking(work).await.map_err(|error| ApiError::internal(&error))
}
