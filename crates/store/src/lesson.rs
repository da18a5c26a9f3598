//! Lessons, each its owner's alone.

pub mod history;

use crate::teacher::TeacherId;
use crate::{Db, StoreError};
use lesson::Lesson;
use sqlx::types::Json;
use teaching::skill::Strand;

/// A lesson's id.
pub type LessonId = u64;
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
    /// The lesson.
    pub lesson: Lesson,
    /// How many ladders hang on it.
    pub ladders: u32,
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

/// Every lesson of a teacher that stands in that place, by grade, then newest first.
///
/// # Errors
/// The database does not answer, or a lesson cannot be understood.
pub async fn shelf(db: &Db, owner: TeacherId, place: Place) -> Result<Vec<OnShelf>, StoreError> {
    let sql = "SELECT id, document, (SELECT COUNT(*) FROM ladder WHERE ladder.lesson = lesson.id)
               FROM lesson WHERE owner = ? AND place = ? ORDER BY grade, updated_at DESC, id DESC";
    let rows: Vec<(LessonId, Json<Lesson>, i64)> =
        sqlx::query_as(sql).bind(owner).bind(place.name()).fetch_all(db).await?;
    Ok(rows
        .into_iter()
        .map(|(id, Json(lesson), ladders)| OnShelf {
            id,
            lesson,
            ladders: u32::try_from(ladders).unwrap_or(u32::MAX),
        })
        .collect())
}

/// Keeps a new lesson.
///
/// # Errors
/// [`StoreError::Full`] past [`MOST_LESSONS`].
pub async fn create(db: &Db, owner: TeacherId, lesson: &Lesson) -> Result<LessonId, StoreError> {
    let sql = "SELECT COUNT(*) FROM lesson WHERE owner = ?";
    let count: i64 = sqlx::query_scalar(sql).bind(owner).fetch_one(db).await?;
    if count >= MOST_LESSONS {
        return Err(StoreError::Full);
    }
    let mut transaction = db.begin().await?;
    let sql = "INSERT INTO lesson (owner, title, topic, grade, strand, document)
               VALUES (?, ?, ?, ?, ?, ?)";
    let done = sqlx::query(sql)
        .bind(owner)
        .bind(&lesson.title)
        .bind(&lesson.topic)
        .bind(lesson.grade)
        .bind(strand_name(lesson.strand)?)
        .bind(Json(lesson))
        .execute(&mut *transaction)
        .await?;
    let id = done.last_insert_id();
    history::record(&mut transaction, owner, id, 1, lesson).await?;
    transaction.commit().await?;
    Ok(id)
}

/// Completes a lesson that was just made, as with the ids of the ladders that hang on it. That is no change of its own:
/// it stays at its first revision.
///
/// # Errors
/// [`StoreError::Stale`] when somebody changed it already.
pub async fn complete(
    db: &Db,
    owner: TeacherId,
    id: LessonId,
    lesson: &Lesson,
) -> Result<(), StoreError> {
    let mut transaction = db.begin().await?;
    let sql = "UPDATE lesson SET document = ? WHERE id = ? AND owner = ? AND revision = 1";
    sqlx::query(sql).bind(Json(lesson)).bind(id).bind(owner).execute(&mut *transaction).await?;
    let sql = "UPDATE lesson_version JOIN lesson ON lesson.id = lesson_version.lesson
               SET lesson_version.document = ?
               WHERE lesson = ? AND owner = ? AND lesson.revision = 1 AND lesson_version.revision = 1";
    sqlx::query(sql).bind(Json(lesson)).bind(id).bind(owner).execute(&mut *transaction).await?;
    transaction.commit().await?;
    let revision = find(db, owner, id).await?.revision;
    if revision == 1 { Ok(()) } else { Err(StoreError::Stale { revision }) }
}

/// Puts a teacher's own lesson somewhere else.
///
/// # Errors
/// [`StoreError::NotFound`] if there is none, and equally if it is another teacher's.
pub async fn put(db: &Db, owner: TeacherId, id: LessonId, place: Place) -> Result<(), StoreError> {
    find(db, owner, id).await?;
    let sql = "UPDATE lesson SET place = ? WHERE id = ? AND owner = ?";
    sqlx::query(sql).bind(place.name()).bind(id).bind(owner).execute(db).await?;
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
    let sql = "UPDATE lesson SET revision = revision + 1, title = ?, topic = ?, grade = ?,
               strand = ?, document = ? WHERE id = ? AND owner = ? AND revision = ?";
    let done = sqlx::query(sql)
        .bind(&lesson.title)
        .bind(&lesson.topic)
        .bind(lesson.grade)
        .bind(strand_name(lesson.strand)?)
        .bind(Json(lesson))
        .bind(id)
        .bind(owner)
        .bind(based_on)
        .execute(&mut *transaction)
        .await?;
    if done.rows_affected() == 0 {
        drop(transaction);
        let revision = find(db, owner, id).await?.revision;
        return Err(StoreError::Stale { revision });
    }
    history::record(&mut transaction, owner, id, based_on + 1, lesson).await?;
    transaction.commit().await?;
    Ok(based_on + 1)
}

/// Makes a lesson what it was before, and tells its new revision. What stands now stays among its versions: it is a
/// stretch of work of its own.
///
/// # Errors
/// As [`save`].
pub async fn restore(
    db: &Db,
    owner: TeacherId,
    id: LessonId,
    based_on: u32,
    lesson: &Lesson,
) -> Result<u32, StoreError> {
    history::close(db, owner, id).await?;
    save(db, owner, id, based_on, lesson).await
}
