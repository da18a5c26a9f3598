//! Lessons, each its owner's alone.

pub mod history;

use crate::page::{self, Page, cursor, numbers, small, sought};
use crate::{Db, ImageId, LadderId, LessonId, StoreError, TeacherId, image, ladder};
use lesson::bench::Plan;
use lesson::{Checked, Lesson};
use skills::Ladder;
use sqlx::types::Json;
use sqlx::types::time::OffsetDateTime;
use sqlx::{MySql, Transaction};
use std::collections::BTreeMap;
use teaching::skill::Strand;

/// Most lessons of one teacher.
pub const MOST_LESSONS: i64 = 5_000;

/// A lesson with the revision that a save must be based on.
#[derive(Debug, Clone, PartialEq)]
pub struct KeptLesson {
    /// One more at each save.
    pub revision: u32,
    /// The lesson as it stands.
    pub lesson: Lesson,
}

/// A lesson as it stands on the shelf.
#[derive(Debug, Clone, PartialEq)]
pub struct OnShelf {
    /// Its id.
    pub id: LessonId,
    /// What it is called.
    pub title: String,
    /// What it is about.
    pub topic: String,
    /// The school year; kindergarten is 0.
    pub grade: u8,
    /// Its heading in the catalogue.
    pub strand: Strand,
    /// Its length.
    pub minutes: u16,
    /// How many slides it has.
    pub slides: u16,
    /// What was proved on them.
    pub checked: Checked,
    /// How many ladders hang on it.
    pub ladders: u32,
    /// When it was changed last.
    changed: OffsetDateTime,
}

/// A lesson to be kept, with what goes onto it in the same transaction.
#[derive(Debug, Clone, PartialEq)]
pub struct New {
    /// The lesson; its blocks name images and ladders by the numbers below.
    pub lesson: Lesson,
    /// Its images.
    pub images: Vec<NewImage>,
    /// Its ladders.
    pub ladders: Vec<NewLadder>,
    /// Where it was copied from, in words.
    pub came_from: Option<String>,
}

/// An image of a new lesson.
#[derive(Debug, Clone, PartialEq, Eq)]
pub struct NewImage {
    /// The number by which the lesson names it.
    pub named: u64,
    /// `png`, `jpeg` or `svg`.
    pub kind: String,
    /// The image, made safe.
    pub bytes: Vec<u8>,
}

/// A ladder of a new lesson.
#[derive(Debug, Clone, PartialEq)]
pub struct NewLadder {
    /// The number by which the lesson names it.
    pub named: u64,
    /// What it is called.
    pub title: String,
    /// Its problems.
    pub ladder: Ladder,
    /// What it was made of, where that is known.
    pub plan: Option<Plan>,
}

impl From<Lesson> for New {
    fn from(lesson: Lesson) -> Self {
        Self { lesson, images: Vec::new(), ladders: Vec::new(), came_from: None }
    }
}

/// Where a lesson stands.
#[derive(Debug, Clone, Copy, Default, PartialEq, Eq)]
pub enum Place {
    /// On the shelf.
    #[default]
    Shelf,
    /// Put away: kept, and out of sight.
    Archive,
    /// In the bin, from which it can come back.
    Bin,
}

impl Place {
    const fn name(self) -> &'static str {
        match self {
            Self::Shelf => "shelf",
            Self::Archive => "archive",
            Self::Bin => "bin",
        }
    }
}

/// The strand as it is written in a column: the same word as in JSON.
fn strand_name(strand: Strand) -> Result<String, StoreError> {
    Ok(serde_json::to_value(strand)?.as_str().unwrap_or_default().to_owned())
}

type ShelfRow = (LessonId, String, String, u8, String, u16, u16, u32, u32, i64, OffsetDateTime);

fn on_shelf(row: ShelfRow) -> Result<OnShelf, StoreError> {
    let (id, title, topic, grade, strand, minutes, slides, lines, hold, ladders, changed) = row;
    Ok(OnShelf {
        id,
        title,
        topic,
        grade,
        strand: serde_json::from_value(strand.into())?,
        minutes,
        slides,
        checked: Checked { lines, hold },
        ladders: u32::try_from(ladders).unwrap_or(u32::MAX),
        changed,
    })
}

/// A page of a teacher's lessons that stand in that place and hold all of these words, by grade, then newest first;
/// `after` is where the page before ended.
///
/// # Errors
/// [`StoreError::NoSuchPage`] for a cursor that is not one of ours.
pub async fn shelf(
    db: &Db,
    owner: TeacherId,
    place: Place,
    words: &str,
    after: Option<&str>,
) -> Result<Page<OnShelf>, StoreError> {
    // Before the first one of all: no grade is so low.
    let [grade, changed, id] = after.map_or(Ok([-1, 0, 0]), numbers)?;
    let sql = "SELECT id, title, topic, grade, strand, minutes, slides, claims, proved,
                 (SELECT COUNT(*) FROM ladder WHERE ladder.lesson = lesson.id), updated_at
               FROM lesson WHERE owner = ? AND place = ? AND grade >= ?
                 AND (grade > ? OR updated_at < FROM_UNIXTIME(? / 1000)
                      OR (updated_at = FROM_UNIXTIME(? / 1000) AND id < ?))
                 AND NOT EXISTS (
                   SELECT 1 FROM JSON_TABLE(?, '$[*]' COLUMNS (word VARCHAR(400) PATH '$')) AS sought
                   WHERE LOCATE(sought.word COLLATE utf8mb4_bin, COALESCE(lesson.words, '')) = 0)
               ORDER BY grade, updated_at DESC, id DESC LIMIT ?";
    let rows: Vec<ShelfRow> = sqlx::query_as(sql)
        .bind(owner)
        .bind(place.name())
        .bind(grade.max(0))
        .bind(grade)
        .bind(changed)
        .bind(changed)
        .bind(id)
        .bind(sought(words))
        .bind(page::MOST + 1)
        .fetch_all(db)
        .await?;
    let entries: Vec<OnShelf> = rows.into_iter().map(on_shelf).collect::<Result<_, _>>()?;
    Ok(Page::of(entries, page::MOST, |last| {
        let changed = last.changed.unix_timestamp_nanos() / 1_000_000;
        cursor([last.grade.into(), changed, last.id.0.into()])
    }))
}

/// Keeps a new lesson with its images and ladders: all of it, or nothing.
///
/// # Errors
/// [`StoreError::Full`] where there is no room for one more lesson, image or ladder.
pub async fn create(
    db: &Db,
    owner: TeacherId,
    new: impl Into<New>,
) -> Result<LessonId, StoreError> {
    let New { mut lesson, images, ladders, came_from } = new.into();
    let mut transaction = db.begin().await?;
    crate::teacher::lock(&mut transaction, owner).await?;
    let sql = "SELECT COUNT(*) FROM lesson WHERE owner = ?";
    let count: i64 = sqlx::query_scalar(sql).bind(owner).fetch_one(&mut *transaction).await?;
    if count >= MOST_LESSONS {
        return Err(StoreError::Full);
    }
    let mut kept_images: BTreeMap<u64, u64> = BTreeMap::new();
    for new in &images {
        let ImageId(id) = image::insert(&mut transaction, owner, &new.kind, &new.bytes).await?;
        kept_images.insert(new.named, id);
    }
    let sql = "INSERT INTO lesson (owner, title, topic, grade, strand, document, came_from)
               VALUES (?, ?, ?, ?, ?, ?, ?)";
    let done = sqlx::query(sql)
        .bind(owner)
        .bind(&lesson.title)
        .bind(&lesson.topic)
        .bind(lesson.grade)
        .bind(strand_name(lesson.strand)?)
        .bind(Json(&lesson))
        .bind(came_from)
        .execute(&mut *transaction)
        .await?;
    let id = LessonId(done.last_insert_id());
    let mut kept_ladders: BTreeMap<u64, u64> = BTreeMap::new();
    for new in &ladders {
        let (title, plan) = (&new.title, new.plan.as_ref());
        let LadderId(hung) =
            ladder::insert(&mut transaction, owner, Some(id), title, &new.ladder, plan).await?;
        kept_ladders.insert(new.named, hung);
    }
    lesson.renumber(&kept_images, &kept_ladders);
    write(&mut transaction, id, 1, &lesson).await?;
    history::record(&mut transaction, owner, id, 1, &lesson).await?;
    transaction.commit().await?;
    Ok(id)
}

/// Writes a lesson, and what a shelf shows of it, into its row.
async fn write(
    transaction: &mut Transaction<'_, MySql>,
    id: LessonId,
    revision: u32,
    lesson: &Lesson,
) -> Result<(), StoreError> {
    let checked = lesson.checked();
    let sql =
        "UPDATE lesson SET revision = ?, title = ?, topic = ?, grade = ?, strand = ?, document = ?,
                 minutes = ?, slides = ?, claims = ?, proved = ?, words = ? WHERE id = ?";
    sqlx::query(sql)
        .bind(revision)
        .bind(&lesson.title)
        .bind(&lesson.topic)
        .bind(lesson.grade)
        .bind(strand_name(lesson.strand)?)
        .bind(Json(lesson))
        .bind(lesson.minutes)
        .bind(small(lesson.slides.len(), u16::MAX))
        .bind(checked.lines)
        .bind(checked.hold)
        .bind(lesson.words())
        .bind(id)
        .execute(&mut **transaction)
        .await?;
    Ok(())
}

/// The revision of a teacher's own lesson, which nobody else changes until the transaction ends.
async fn lock(
    transaction: &mut Transaction<'_, MySql>,
    owner: TeacherId,
    id: LessonId,
) -> Result<u32, StoreError> {
    let sql = "SELECT revision FROM lesson WHERE id = ? AND owner = ? FOR UPDATE";
    let found = sqlx::query_scalar(sql).bind(id).bind(owner).fetch_optional(&mut **transaction);
    found.await?.ok_or(StoreError::NotFound)
}

/// Puts a teacher's own lesson somewhere else.
///
/// # Errors
/// [`StoreError::NotFound`] if there is none, and equally if it is another teacher's.
pub async fn put(db: &Db, owner: TeacherId, id: LessonId, place: Place) -> Result<(), StoreError> {
    let mut transaction = db.begin().await?;
    lock(&mut transaction, owner, id).await?;
    let sql = "UPDATE lesson SET place = ? WHERE id = ?";
    sqlx::query(sql).bind(place.name()).bind(id).execute(&mut *transaction).await?;
    transaction.commit().await?;
    Ok(())
}

/// The teacher's own lesson `id`.
///
/// # Errors
/// [`StoreError::NotFound`] if there is none, and equally if it is another teacher's.
pub async fn find(db: &Db, owner: TeacherId, id: LessonId) -> Result<KeptLesson, StoreError> {
    let sql = "SELECT revision, document FROM lesson WHERE id = ? AND owner = ?";
    let row: Option<(u32, Json<Lesson>)> =
        sqlx::query_as(sql).bind(id).bind(owner).fetch_optional(db).await?;
    let (revision, Json(lesson)) = row.ok_or(StoreError::NotFound)?;
    Ok(KeptLesson { revision, lesson })
}

/// Keeps a changed lesson that was based on revision `based_on`, and tells its new revision.
///
/// # Errors
/// [`StoreError::Stale`] when somebody saved in between: nothing is changed then.
pub async fn save(
    db: &Db,
    owner: TeacherId,
    id: LessonId,
    based_on: u32,
    lesson: &Lesson,
) -> Result<u32, StoreError> {
    let mut transaction = db.begin().await?;
    // The same lesson once more: a save whose answer was lost on the way.
    let stands = lock(&mut transaction, owner, id).await?;
    if stands == based_on.saturating_add(1) {
        let sql = "SELECT document FROM lesson WHERE id = ?";
        let Json(kept): Json<Lesson> =
            sqlx::query_scalar(sql).bind(id).fetch_one(&mut *transaction).await?;
        if kept == *lesson {
            return Ok(stands);
        }
    }
    let revision = replace(&mut transaction, owner, id, based_on, lesson).await?;
    transaction.commit().await?;
    Ok(revision)
}

async fn replace(
    transaction: &mut Transaction<'_, MySql>,
    owner: TeacherId,
    id: LessonId,
    based_on: u32,
    lesson: &Lesson,
) -> Result<u32, StoreError> {
    let revision = lock(transaction, owner, id).await?;
    if revision != based_on {
        return Err(StoreError::Stale { revision });
    }
    let revision = based_on.saturating_add(1);
    write(transaction, id, revision, lesson).await?;
    history::record(transaction, owner, id, revision, lesson).await?;
    Ok(revision)
}

/// Makes a lesson what it was at revision `to`, and tells its new revision with the lesson. What stands now stays among
/// its versions: it is a stretch of work of its own.
///
/// # Errors
/// As [`save`], and [`StoreError::NotFound`] when there is no such version.
pub async fn restore(
    db: &Db,
    owner: TeacherId,
    id: LessonId,
    based_on: u32,
    to: u32,
) -> Result<KeptLesson, StoreError> {
    let mut transaction = db.begin().await?;
    lock(&mut transaction, owner, id).await?;
    let lesson = history::read(&mut *transaction, owner, id, to).await?;
    history::close(&mut transaction, owner, id).await?;
    let revision = replace(&mut transaction, owner, id, based_on, &lesson).await?;
    transaction.commit().await?;
    Ok(KeptLesson { revision, lesson })
}
