//! Live lessons that are going on. The database decides what happened; here it is kept at hand, and told to whoever listens.
//!
//! Each lesson has a room while somebody is in it, and each room a task of its own: it keeps what comes in, many events in
//! one transaction, and looks for what other servers kept. A room that is lost loses nothing.

mod room;

pub(crate) use room::{Room, by_teacher, now_ms};

use crate::error::ApiError;
use std::collections::HashMap;
use std::sync::{Arc, Mutex, PoisonError};
use store::live::LiveLesson;
use store::{Db, LiveId};

/// The rooms of the lessons that are going on.
pub(crate) struct Rooms {
    db: Db,
    open: Mutex<HashMap<LiveId, Arc<Room>>>,
}

impl Rooms {
    /// No rooms yet.
    pub(crate) fn new(db: Db) -> Arc<Self> {
        Arc::new(Self { db, open: Mutex::new(HashMap::new()) })
    }

    /// The room of a live lesson. It is opened for whoever comes first, with all that has happened.
    pub(crate) async fn room(self: &Arc<Self>, of: &LiveLesson) -> Result<Arc<Room>, ApiError> {
        if let Some(room) = self.known(of.id) {
            return Ok(room);
        }
        let (room, work) = Room::open(self.db.clone(), of).await?;
        let mut open = self.open.lock().unwrap_or_else(PoisonError::into_inner);
        // Somebody else may have been quicker: there is one.
        let kept = open.entry(of.id).or_insert_with(|| Arc::clone(&room));
        if Arc::ptr_eq(kept, &room) {
            let rooms = Arc::clone(self);
            tokio::spawn(async move {
                work.go_on(|room| rooms.may_leave(room)).await;
            });
        }
        Ok(Arc::clone(kept))
    }

    /// The live lesson of a code, where its room is open: what every answer asks for need not be asked of the database.
    pub(crate) fn of_code(&self, code: &str) -> Option<LiveLesson> {
        let code = code.trim().to_lowercase();
        let open = self.open.lock().unwrap_or_else(PoisonError::into_inner);
        let found = open.values().find(|room| room.of.code.as_ref() == Some(&code))?;
        found.look(|now| now.ended.is_none()).then(|| found.of.clone())
    }

    fn known(&self, id: LiveId) -> Option<Arc<Room>> {
        self.open.lock().unwrap_or_else(PoisonError::into_inner).get(&id).cloned()
    }

    /// Takes a room away in which nobody is: besides these rooms only its own task knows it.
    fn may_leave(&self, room: &Arc<Room>) -> bool {
        let mut open = self.open.lock().unwrap_or_else(PoisonError::into_inner);
        let is_empty = Arc::strong_count(room) <= 2;
        if is_empty {
            open.remove(&room.id);
        }
        is_empty
    }
}
