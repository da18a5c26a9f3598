//! Live lessons: events in a row that only grows. The number of an event is taken under a lock of the lesson's row, in the
//! transaction that keeps it, so that whoever reads the row in order misses nothing.

use crate::database::random_signs;
use crate::{ClassId, Db, LessonId, LiveId, StoreError, StudentId, TeacherId};
use ::live::taught::{Event, Happened, Now};
use lesson::Lesson;
use sqlx::types::Json;
use sqlx::{MySql, QueryBuilder, Transaction};
use std::collections::BTreeMap;

/// Most live lessons of one class that are kept.
pub const MOST_LIVE: i64 = 400;
/// Signs of a join code: about a thousand million codes, of which a site has a few open at a time.
const CODE: usize = 6;
/// Most events that are read at once.
const MOST_READ: u32 = 2_000;

/// A live lesson without its events.
#[derive(Debug, Clone, PartialEq, Eq, sqlx::FromRow)]
pub struct LiveLesson {
    /// Its id.
    pub id: LiveId,
    /// The class that is in it.
    pub class: ClassId,
    /// The lesson it is taught from, while that is kept.
    pub lesson: Option<LessonId>,
    /// What the lesson was called.
    pub title: String,
    /// Opens it to students, until it has ended.
    pub code: Option<String>,
    /// The last event.
    pub seq: u64,
    /// When it began, in milliseconds of Unix time.
    pub began: i64,
    /// When it ended.
    pub ended: Option<i64>,
}

/// An event to be kept.
#[derive(Debug, Clone, PartialEq)]
pub struct NewEvent {
    /// Who did it; nobody for the teacher.
    pub student: Option<StudentId>,
    /// Drawn by whoever sends it: the same sent twice is kept once.
    pub token: Option<String>,
    /// What.
    pub event: Event,
}

const COLUMNS: &str = "live_lesson.id, live_lesson.class, live_lesson.lesson, live_lesson.title,
    live_lesson.code, live_lesson.seq, live_lesson.began, live_lesson.ended";

/// To whom a lesson is opened.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub enum OpenTo {
    /// A class of the teacher's.
    Class(ClassId),
    /// Whoever has the code: an open class is made for them, which is called as the lesson is.
    Anyone,
}

/// Opens a lesson to a class at `now`, in milliseconds of Unix time. A lesson that is open to that class already is not
/// opened once more.
///
/// # Errors
/// [`StoreError::NotFound`] when the class is not theirs, [`StoreError::Full`] past [`MOST_LIVE`] or where there is no room
/// for the class.
pub async fn begin(
    db: &Db,
    owner: TeacherId,
    (id, lesson): (LessonId, &Lesson),
    to: OpenTo,
    now: i64,
) -> Result<LiveId, StoreError> {
    let mut transaction = db.begin().await?;
    let class = match to {
        OpenTo::Class(class) => class,
        OpenTo::Anyone => {
            // The last one goes on, where nobody closed it.
            let sql = "SELECT class.id FROM live_lesson JOIN class ON class.id = live_lesson.class
                       WHERE live_lesson.lesson = ? AND live_lesson.ended IS NULL
                         AND class.owner = ? AND class.is_open LIMIT 1";
            let query = sqlx::query_scalar(sql).bind(id).bind(owner);
            let open: Option<ClassId> = query.fetch_optional(&mut *transaction).await?;
            match open {
                Some(open) => open,
                None => {
                    let most = crate::class::LONGEST_TITLE;
                    let title: String = lesson.title.chars().take(most).collect();
                    let grade = lesson.grade;
                    crate::class::insert(&mut transaction, owner, &title, grade, true).await?
                }
            }
        }
    };
    let sql = "SELECT id FROM class WHERE id = ? AND owner = ? FOR UPDATE";
    let query = sqlx::query_scalar(sql).bind(class).bind(owner);
    let found: Option<ClassId> = query.fetch_optional(&mut *transaction).await?;
    found.ok_or(StoreError::NotFound)?;
    let sql = "SELECT id FROM live_lesson WHERE class = ? AND lesson = ? AND ended IS NULL LIMIT 1";
    let query = sqlx::query_scalar(sql).bind(class).bind(id);
    let open: Option<LiveId> = query.fetch_optional(&mut *transaction).await?;
    if let Some(open) = open {
        transaction.commit().await?;
        return Ok(open);
    }
    let sql = "SELECT COUNT(*) FROM live_lesson WHERE class = ?";
    let count: i64 = sqlx::query_scalar(sql).bind(class).fetch_one(&mut *transaction).await?;
    if count >= MOST_LIVE {
        return Err(StoreError::Full);
    }
    let sql = "INSERT INTO live_lesson (class, lesson, title, document, code, began)
               VALUES (?, ?, ?, ?, ?, ?)";
    let query = sqlx::query(sql).bind(class).bind(id).bind(&lesson.title).bind(Json(lesson));
    let query = query.bind(random_signs(CODE)).bind(now);
    let live = LiveId(query.execute(&mut *transaction).await?.last_insert_id());
    let opened = NewEvent { student: None, token: None, event: Event::Opened };
    insert(&mut transaction, live, 1, now, &[&opened]).await?;
    transaction.commit().await?;
    Ok(live)
}

/// Keeps events in their order at `now`, in milliseconds of Unix time, and tells the number of each. What was kept before
/// under the same token is not kept again: its number is told.
///
/// # Errors
/// [`StoreError::NotFound`] when there is no such lesson, or it has ended.
pub async fn append(
    db: &Db,
    live: LiveId,
    events: &[NewEvent],
    now: i64,
) -> Result<Vec<u64>, StoreError> {
    let mut transaction = db.begin().await?;
    let sql = "SELECT seq, ended FROM live_lesson WHERE id = ? FOR UPDATE";
    let query = sqlx::query_as(sql).bind(live);
    let found: Option<(u64, Option<i64>)> = query.fetch_optional(&mut *transaction).await?;
    let (mut seq, ended) = found.ok_or(StoreError::NotFound)?;
    if ended.is_some() {
        return Err(StoreError::NotFound);
    }
    let mut known = known(&mut transaction, live, events).await?;
    let first = seq + 1;
    let mut new: Vec<&NewEvent> = Vec::with_capacity(events.len());
    let mut numbers = Vec::with_capacity(events.len());
    for event in events {
        let key = event.token.as_ref().map(|token| (event.student, token.clone()));
        if let Some(before) = key.as_ref().and_then(|key| known.get(key)) {
            numbers.push(*before);
            continue;
        }
        seq += 1;
        known.extend(key.map(|key| (key, seq)));
        numbers.push(seq);
        new.push(event);
    }
    if !new.is_empty() {
        insert(&mut transaction, live, first, now, &new).await?;
    }
    transaction.commit().await?;
    Ok(numbers)
}

/// The numbers of those events that were kept before, by their tokens.
async fn known(
    transaction: &mut Transaction<'_, MySql>,
    live: LiveId,
    events: &[NewEvent],
) -> Result<BTreeMap<(Option<StudentId>, String), u64>, StoreError> {
    let tokens: Vec<&String> = events.iter().filter_map(|event| event.token.as_ref()).collect();
    if tokens.is_empty() {
        return Ok(BTreeMap::new());
    }
    let mut query: QueryBuilder<MySql> =
        QueryBuilder::new("SELECT student, token, seq FROM live_event WHERE live = ");
    query.push_bind(live).push(" AND (student, token) IN (");
    let mut pairs = query.separated(", ");
    for event in events {
        let (Some(student), Some(token)) = (event.student, &event.token) else { continue };
        pairs.push("(").push_bind_unseparated(student).push_unseparated(", ");
        pairs.push_bind_unseparated(token).push_unseparated(")");
    }
    // So that the list is never empty.
    pairs.push("(0, '')");
    query.push(")");
    let rows: Vec<(Option<StudentId>, String, u64)> =
        query.build_query_as().fetch_all(&mut **transaction).await?;
    Ok(rows.into_iter().map(|(student, token, seq)| ((student, token), seq)).collect())
}

async fn insert(
    transaction: &mut Transaction<'_, MySql>,
    live: LiveId,
    first: u64,
    now: i64,
    events: &[&NewEvent],
) -> Result<(), StoreError> {
    let mut query: QueryBuilder<MySql> =
        QueryBuilder::new("INSERT INTO live_event (live, seq, at, student, token, event) ");
    query.push_values(events.iter().zip(first..), |mut row, (event, seq)| {
        row.push_bind(live).push_bind(seq).push_bind(now).push_bind(event.student);
        row.push_bind(&event.token).push_bind(Json(&event.event));
    });
    query.build().execute(&mut **transaction).await?;
    let last = first + u64::try_from(events.len()).unwrap_or_default() - 1;
    let ends = events.iter().any(|event| event.event == Event::Ended);
    let sql = "UPDATE live_lesson SET seq = ?, ended = IF(?, ?, ended), code = IF(?, NULL, code)
               WHERE id = ?";
    let query = sqlx::query(sql).bind(last).bind(ends).bind(now).bind(ends).bind(live);
    query.execute(&mut **transaction).await?;
    Ok(())
}

/// What happened after event `after`, at most a few thousand events at once.
///
/// # Errors
/// The database does not answer.
pub async fn since(db: &Db, live: LiveId, after: u64) -> Result<Vec<Happened>, StoreError> {
    let sql = "SELECT seq, at, student, event FROM live_event
               WHERE live = ? AND seq > ? ORDER BY seq LIMIT ?";
    let query = sqlx::query_as(sql).bind(live).bind(after).bind(MOST_READ);
    let rows: Vec<(u64, i64, Option<u64>, Json<Event>)> = query.fetch_all(db).await?;
    let happened = |(seq, at, student, Json(event))| Happened { seq, at, student, event };
    Ok(rows.into_iter().map(happened).collect())
}

/// A live lesson with all that happened in it.
///
/// # Errors
/// The database does not answer.
pub async fn whole(db: &Db, live: LiveId) -> Result<Now, StoreError> {
    let mut now = Now::default();
    loop {
        let events = since(db, live, now.seq).await?;
        if events.is_empty() {
            return Ok(now);
        }
        for event in &events {
            now.add(event);
        }
    }
}

/// The last event of a live lesson.
///
/// # Errors
/// [`StoreError::NotFound`] when there is none.
pub async fn last(db: &Db, live: LiveId) -> Result<u64, StoreError> {
    let sql = "SELECT seq FROM live_lesson WHERE id = ?";
    sqlx::query_scalar(sql).bind(live).fetch_optional(db).await?.ok_or(StoreError::NotFound)
}

/// A teacher's own live lesson.
///
/// # Errors
/// [`StoreError::NotFound`] when it is not theirs.
pub async fn find(db: &Db, owner: TeacherId, id: LiveId) -> Result<LiveLesson, StoreError> {
    let sql = format!(
        "SELECT {COLUMNS} FROM live_lesson JOIN class ON class.id = live_lesson.class
         WHERE live_lesson.id = ? AND class.owner = ?"
    );
    let query = sqlx::query_as(sqlx::AssertSqlSafe(sql)).bind(id).bind(owner);
    query.fetch_optional(db).await?.ok_or(StoreError::NotFound)
}

/// The live lesson that a code opens.
///
/// # Errors
/// [`StoreError::NotFound`] when it opens none.
pub async fn by_code(db: &Db, code: &str) -> Result<LiveLesson, StoreError> {
    let sql = format!("SELECT {COLUMNS} FROM live_lesson WHERE code = ?");
    let query = sqlx::query_as(sqlx::AssertSqlSafe(sql)).bind(code.trim().to_lowercase());
    query.fetch_optional(db).await?.ok_or(StoreError::NotFound)
}

/// The lesson as it stood when it was opened.
///
/// # Errors
/// [`StoreError::NotFound`] when there is no such live lesson.
pub async fn document(db: &Db, id: LiveId) -> Result<Lesson, StoreError> {
    let sql = "SELECT document FROM live_lesson WHERE id = ?";
    let found: Option<Json<Lesson>> = sqlx::query_scalar(sql).bind(id).fetch_optional(db).await?;
    found.map(|Json(lesson)| lesson).ok_or(StoreError::NotFound)
}

/// A teacher's live lessons of a class or of a lesson, the latest first.
///
/// # Errors
/// The database does not answer.
pub async fn of_teacher(
    db: &Db,
    owner: TeacherId,
    class: Option<ClassId>,
    lesson: Option<LessonId>,
) -> Result<Vec<LiveLesson>, StoreError> {
    let sql = format!(
        "SELECT {COLUMNS} FROM live_lesson JOIN class ON class.id = live_lesson.class
         WHERE class.owner = ? AND (? IS NULL OR live_lesson.class = ?)
           AND (? IS NULL OR live_lesson.lesson = ?)
         ORDER BY live_lesson.id DESC LIMIT 200"
    );
    let query = sqlx::query_as(sqlx::AssertSqlSafe(sql)).bind(owner).bind(class).bind(class);
    Ok(query.bind(lesson).bind(lesson).fetch_all(db).await?)
}

/// Takes a live lesson away with all that happened in it.
///
/// # Errors
/// [`StoreError::NotFound`] when it is not theirs.
pub async fn remove(db: &Db, owner: TeacherId, id: LiveId) -> Result<(), StoreError> {
    find(db, owner, id).await?;
    let mut transaction = db.begin().await?;
    for sql in ["DELETE FROM live_event WHERE live = ?", "DELETE FROM live_lesson WHERE id = ?"] {
        sqlx::query(sql).bind(id).execute(&mut *transaction).await?;
    }
    transaction.commit().await?;
    Ok(())
}
