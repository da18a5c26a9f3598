//! One live lesson: what it adds up to, and the task that keeps what happens in it.

use crate::error::ApiError;
use drawing::Scene;
use lesson::Lesson;
use live::taught::{Event, Happened, LessonPlace, MOST_SEATS, Now, Question};
use std::collections::HashMap;
use std::sync::{Arc, Mutex, PoisonError, RwLock};
use std::time::Duration;
use store::live::{LiveLesson, NewEvent};
use store::{Db, LiveId, StoreError};
use time::OffsetDateTime;
use tokio::sync::{mpsc, oneshot, watch};
use tokio::time::{Instant, MissedTickBehavior, interval};

/// How often a room looks for what other servers kept.
const LOOKS: Duration = Duration::from_millis(100);
/// How long a room stays when nobody is in it.
const STAYS: Duration = Duration::from_secs(60);
/// Most events that are kept in one transaction.
const TOGETHER: usize = 256;
/// Most who listen in one room: a few devices for each seat.
const MOST_LISTENERS: usize = 4 * MOST_SEATS;
/// How often a student may do something within so long.
const OFTEN: u16 = 240;
const LATELY: Duration = Duration::from_secs(60);
/// Most events that wait to be kept.
const WAITING: usize = 4_000;

/// A live lesson that is going on.
pub(crate) struct Room {
    pub id: LiveId,
    /// As it was when the room was opened.
    pub of: LiveLesson,
    pub lesson: Arc<Lesson>,
    now: RwLock<Now>,
    /// The last event.
    told: watch::Sender<u64>,
    /// The last event that every student has to know of: what one of them does wakes no other.
    told_all: watch::Sender<u64>,
    writer: mpsc::Sender<Waiting>,
    /// Slides as students see them, made once for all.
    slides: Mutex<HashMap<LessonPlace, Arc<str>>>,
    /// The pictures of questions, drawn once for all.
    scenes: Mutex<HashMap<u32, Scene>>,
    /// How much each student did lately: since when it is counted, and how often.
    busy: Mutex<HashMap<u64, (Instant, u16)>>,
}

/// An event that waits to be kept.
struct Waiting {
    event: NewEvent,
    kept: oneshot::Sender<Result<u64, ApiError>>,
}

/// What a room's own task works with.
pub(crate) struct Work {
    db: Db,
    room: Arc<Room>,
    waiting: mpsc::Receiver<Waiting>,
}

impl Room {
    /// Opens the room of a lesson, with all that has happened in it, and the work that keeps it going.
    pub(crate) async fn open(db: Db, of: &LiveLesson) -> Result<(Arc<Self>, Work), ApiError> {
        let lesson = Arc::new(store::live::document(&db, of.id).await?);
        let (writer, waiting) = mpsc::channel(WAITING);
        let room = Arc::new(Self {
            id: of.id,
            of: of.clone(),
            lesson,
            now: RwLock::new(Now::default()),
            told: watch::Sender::new(0),
            told_all: watch::Sender::new(0),
            writer,
            slides: Mutex::new(HashMap::new()),
            scenes: Mutex::new(HashMap::new()),
            busy: Mutex::new(HashMap::new()),
        });
        room.catch_up(&db).await?;
        Ok((Arc::clone(&room), Work { db, room, waiting }))
    }

    /// Looks at the lesson as it stands.
    pub(crate) fn look<T>(&self, at: impl FnOnce(&Now) -> T) -> T {
        at(&self.now.read().unwrap_or_else(PoisonError::into_inner))
    }

    /// Whether one more may listen.
    pub(crate) fn has_place(&self) -> Result<(), ApiError> {
        let listeners = self.told.receiver_count() + self.told_all.receiver_count();
        if listeners < MOST_LISTENERS { Ok(()) } else { Err(ApiError::busy(5)) }
    }

    /// Counts one more thing that a student does; nobody does as much in a minute as a program can.
    pub(crate) fn count(&self, student: u64) -> Result<(), ApiError> {
        let mut busy = self.busy.lock().unwrap_or_else(PoisonError::into_inner);
        let (since, times) = busy.entry(student).or_insert_with(|| (Instant::now(), 0));
        if since.elapsed() > LATELY {
            (*since, *times) = (Instant::now(), 0);
        }
        *times += 1;
        if *times <= OFTEN {
            return Ok(());
        }
        let left = LATELY.saturating_sub(since.elapsed()).as_secs() + 1;
        let says = "Slow down a little: this is tried again in a moment.";
        Err(ApiError::too_often(says, u32::try_from(left).unwrap_or(60)))
    }

    /// Hears of every event.
    pub(crate) fn listen(&self) -> watch::Receiver<u64> {
        self.told.subscribe()
    }

    /// Hears of what every student has to know of.
    pub(crate) fn listen_as_student(&self) -> watch::Receiver<u64> {
        self.told_all.subscribe()
    }

    /// Keeps an event, and tells its number once it is kept: then it is part of the lesson, here and in the database.
    pub(crate) async fn keep(&self, event: NewEvent) -> Result<u64, ApiError> {
        let (kept, answer) = oneshot::channel();
        let full = |_| ApiError::busy(1);
        self.writer.try_send(Waiting { event, kept }).map_err(full)?;
        answer.await.map_err(|_| ApiError::busy(1))?
    }

    /// A slide as students see it at a place, as JSON that is made once.
    pub(crate) fn slide(&self, place: LessonPlace, make: impl FnOnce() -> String) -> Arc<str> {
        let known = self.slides.lock().unwrap_or_else(PoisonError::into_inner).get(&place).cloned();
        known.unwrap_or_else(|| {
            let made: Arc<str> = make().into();
            let mut slides = self.slides.lock().unwrap_or_else(PoisonError::into_inner);
            Arc::clone(slides.entry(place).or_insert(made))
        })
    }

    /// The picture of a question.
    pub(crate) fn scene(&self, number: u32, question: &Question) -> Option<Scene> {
        let figure = question.asked.figure()?;
        let mut scenes = self.scenes.lock().unwrap_or_else(PoisonError::into_inner);
        Some(scenes.entry(number).or_insert_with(|| drawing::draw(figure)).clone())
    }

    /// Adds events that follow on what is known, and tells of them.
    fn add(&self, events: &[Happened]) {
        let mut now = self.now.write().unwrap_or_else(PoisonError::into_inner);
        let mut for_all = None;
        for event in events {
            now.add(event);
            let tells_all = event.student.is_none() || now.ends_a_wait(event);
            for_all = tells_all.then_some(event.seq).or(for_all);
        }
        let seq = now.seq;
        drop(now);
        self.told.send_replace(seq);
        if let Some(seq) = for_all {
            self.told_all.send_replace(seq);
        }
    }

    /// Reads what was kept since.
    async fn catch_up(&self, db: &Db) -> Result<(), StoreError> {
        loop {
            let events = store::live::since(db, self.id, self.look(|now| now.seq)).await?;
            if events.is_empty() {
                return Ok(());
            }
            self.add(&events);
        }
    }
}

impl Work {
    /// Keeps what comes in and looks for what others kept, until nobody is in the room and `may_leave` agrees.
    pub(crate) async fn go_on(mut self, may_leave: impl Fn(&Arc<Room>) -> bool) {
        let mut looks = interval(LOOKS);
        looks.set_missed_tick_behavior(MissedTickBehavior::Delay);
        let mut empty_since: Option<Instant> = None;
        let mut batch = Vec::with_capacity(TOGETHER);
        loop {
            tokio::select! {
                count = self.waiting.recv_many(&mut batch, TOGETHER) => {
                    if count == 0 {
                        return;
                    }
                    self.keep(std::mem::take(&mut batch)).await;
                }
                _ = looks.tick() => self.look().await,
            }
            if Arc::strong_count(&self.room) > 2 {
                empty_since = None;
            } else if empty_since.get_or_insert_with(Instant::now).elapsed() > STAYS
                && may_leave(&self.room)
            {
                return;
            }
        }
    }

    async fn look(&self) {
        let known = self.room.look(|now| now.seq);
        let found = match store::live::last(&self.db, self.room.id).await {
            Ok(last) if last > known => self.room.catch_up(&self.db).await,
            Ok(_) => Ok(()),
            Err(error) => Err(error),
        };
        if let Err(error) = found {
            tracing::warn!("live lesson {}: {error}", self.room.id);
        }
    }

    async fn keep(&self, batch: Vec<Waiting>) {
        let (events, waiting): (Vec<NewEvent>, Vec<_>) =
            batch.into_iter().map(|one| (one.event, one.kept)).unzip();
        let at = now_ms();
        let numbers = match store::live::append(&self.db, self.room.id, &events, at).await {
            Ok(numbers) => numbers,
            Err(error) => {
                let (over, says) = (matches!(error, StoreError::NotFound), "This lesson is over.");
                if !over {
                    tracing::warn!("live lesson {}: {error}", self.room.id);
                }
                for kept in waiting {
                    let why = if over { ApiError::not_found(says) } else { ApiError::busy(1) };
                    let _ = kept.send(Err(why));
                }
                return;
            }
        };
        let known = self.room.look(|now| now.seq);
        let follows = numbers.iter().zip(known + 1..).all(|(number, next)| *number == next);
        if follows {
            let happened = |(event, seq): (NewEvent, u64)| Happened {
                seq,
                at,
                student: event.student.map(|student| student.0),
                event: event.event,
            };
            let all: Vec<Happened> =
                events.into_iter().zip(numbers.iter().copied()).map(happened).collect();
            self.room.add(&all);
        } else if let Err(error) = self.room.catch_up(&self.db).await {
            // It is kept; the next look finds it.
            tracing::warn!("live lesson {}: {error}", self.room.id);
        }
        for (kept, number) in waiting.into_iter().zip(numbers) {
            let _ = kept.send(Ok(number));
        }
    }
}

/// The time, in milliseconds of Unix time.
pub(crate) fn now_ms() -> i64 {
    i64::try_from(OffsetDateTime::now_utc().unix_timestamp_nanos() / 1_000_000).unwrap_or(i64::MAX)
}

/// An event by the teacher.
pub(crate) const fn by_teacher(event: Event) -> NewEvent {
    NewEvent { student: None, token: None, event }
}
