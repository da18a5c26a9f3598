//! What every route may use.

use crate::address::Address;
use crate::error::ApiError;
use crate::live::Rooms;
use crate::session::SignedIn;
use crate::work::{Asker, Pool};
use serde::{Deserialize, Serialize};
use std::path::PathBuf;
use std::sync::Arc;
use std::time::Duration;
use store::audit::{self, Event};
use store::{Db, LessonId, StoreError, TeacherId};
use utoipa::ToSchema;

/// The setting of who may make an account.
pub(crate) const SIGN_UP: &str = "sign_up";
/// Passwords hashed at a time: each takes about 20 MB.
const HASHES: usize = 2;
/// Sheets typeset at a time: each keeps one core busy.
const SHEETS: usize = 2;
/// Threads that judge, and as many that make what teachers ask for.
const THREADS: usize = 2;

/// The state of the server: nothing that it cannot build again.
#[derive(Clone)]
pub struct App {
    pub(crate) db: Db,
    pub(crate) pools: Arc<Pools>,
    pub(crate) rooms: Arc<Rooms>,
    pub(crate) site: Arc<Site>,
}

/// How the site is reached.
#[derive(Debug, Clone, Default)]
pub struct Site {
    /// Whether a proxy that speaks HTTPS stands in front, and says who asks.
    pub behind_proxy: bool,
    /// Names of its host, besides numbers and `localhost`.
    pub hosts: Vec<String>,
    /// Whether the demo teacher is told on the sign-in screen.
    pub tells_demo: bool,
    /// The folder of the outbox, where messages are written instead of being sent; none where there is no way to send any.
    pub outbox: Option<PathBuf>,
}

/// Who may make an account here.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum SignUp {
    /// Everybody.
    Open,
    /// Whoever has an invitation.
    Invited,
    /// Nobody.
    Closed,
}

/// Where work runs, by its kind: what students wait for never waits for sheets.
pub(crate) struct Pools {
    /// Judging what was written.
    pub judging: Pool,
    /// Making, drawing and looking over.
    pub making: Pool,
    /// Typesetting.
    pub sheets: Pool,
    /// Hashing passwords.
    pub hashes: Pool,
}

impl App {
    /// A server on this database.
    #[must_use]
    pub fn new(db: Db, site: Site) -> Self {
        let (moment, second) = (Duration::from_millis(40), Duration::from_secs(1));
        let pools = Pools {
            judging: Pool::new(THREADS, moment, 3 * second),
            making: Pool::new(THREADS, 6 * moment, 12 * second),
            sheets: Pool::whole(SHEETS),
            hashes: Pool::whole(HASHES),
        };
        let rooms = Rooms::new(db.clone());
        Self { db, pools: Arc::new(pools), rooms, site: Arc::new(site) }
    }

    /// Who may make an account here: everybody while nothing else is set.
    pub(crate) async fn sign_up(&self) -> Result<SignUp, StoreError> {
        let kept = store::setting::get(&self.db, SIGN_UP).await?;
        Ok(kept.and_then(|name| serde_json::from_value(name.into()).ok()).unwrap_or(SignUp::Open))
    }

    /// Writes down what happened to an account.
    pub(crate) async fn note(
        &self,
        event: Event,
        teacher: Option<TeacherId>,
        name: &str,
        address: Address,
    ) -> Result<(), StoreError> {
        let now = crate::session::now();
        audit::write(&self.db, event, teacher, name, &address.to_string(), now).await
    }

    /// On whose behalf a teacher works at a lesson: its owner's, when it is theirs or they were let in to edit it.
    pub(crate) async fn editor(
        &self,
        teacher: SignedIn,
        lesson: LessonId,
    ) -> Result<TeacherId, StoreError> {
        store::share::edited_by(&self.db, teacher.0, lesson).await
    }

    /// Does for a teacher what takes some computing, away from the threads that answer requests.
    pub(crate) async fn make<T: Send + 'static>(
        &self,
        teacher: SignedIn,
        work: impl Fn() -> T + Send + Sync + 'static,
    ) -> Result<T, ApiError> {
        self.pools.making.run(Asker::teacher(teacher.0), work).await
    }
}
