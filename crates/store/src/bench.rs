//! The ladder that a teacher is making for a lesson: one draft for each lesson.

use crate::{Db, LessonId, StoreError, TeacherId};
use lesson::bench::Plan;
use sqlx::types::Json;

/// A draft with the revision that a save must be based on.
#[derive(Debug, Clone, PartialEq)]
pub struct KeptBench {
    /// One more at each save.
    pub revision: u32,
    /// The draft as it stands.
    pub plan: Plan,
}

/// The draft of a teacher's own lesson; none where nothing was begun.
///
/// # Errors
/// [`StoreError::NotFound`] when the lesson is not theirs.
pub async fn find(
    db: &Db,
    owner: TeacherId,
    lesson: LessonId,
) -> Result<Option<KeptBench>, StoreError> {
    let sql = "SELECT bench.revision, bench.document FROM lesson
               LEFT JOIN bench ON bench.lesson = lesson.id WHERE lesson.id = ? AND lesson.owner = ?";
    let row: Option<(Option<u32>, Option<Json<Plan>>)> =
        sqlx::query_as(sql).bind(lesson).bind(owner).fetch_optional(db).await?;
    let (revision, plan) = row.ok_or(StoreError::NotFound)?;
    Ok(revision.zip(plan).map(|(revision, Json(plan))| KeptBench { revision, plan }))
}

/// Keeps a draft that was based on revision `based_on`, 0 for a new one, and tells its new revision.
///
/// # Errors
/// [`StoreError::NotFound`] when the lesson is not theirs, [`StoreError::Stale`] when somebody saved in between: nothing
/// is changed then.
pub async fn save(
    db: &Db,
    owner: TeacherId,
    lesson: LessonId,
    based_on: u32,
    plan: &Plan,
) -> Result<u32, StoreError> {
    let mut transaction = db.begin().await?;
    let sql = "SELECT id FROM lesson WHERE id = ? AND owner = ? FOR UPDATE";
    let found: Option<LessonId> =
        sqlx::query_scalar(sql).bind(lesson).bind(owner).fetch_optional(&mut *transaction).await?;
    found.ok_or(StoreError::NotFound)?;
    let sql = "SELECT revision, document FROM bench WHERE lesson = ?";
    let stands: Option<(u32, Json<Plan>)> =
        sqlx::query_as(sql).bind(lesson).fetch_optional(&mut *transaction).await?;
    let revision = based_on.saturating_add(1);
    match stands {
        // The same draft once more: a save whose answer was lost on the way.
        Some((stands, Json(kept))) if stands == revision && kept == *plan => return Ok(revision),
        Some((stands, _)) if stands != based_on => {
            return Err(StoreError::Stale { revision: stands });
        }
        None if based_on != 0 => return Err(StoreError::Stale { revision: 0 }),
        _ => {}
    }
    let sql = "INSERT INTO bench (lesson, revision, document) VALUES (?, ?, ?)
               ON DUPLICATE KEY UPDATE revision = VALUES(revision), document = VALUES(document)";
    sqlx::query(sql)
        .bind(lesson)
        .bind(revision)
        .bind(Json(plan))
        .execute(&mut *transaction)
        .await?;
    transaction.commit().await?;
    Ok(revision)
}
