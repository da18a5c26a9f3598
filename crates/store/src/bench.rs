//! The ladder that a teacher is making: one draft for each lesson, and one that hangs on none.

use crate::{Db, LessonId, StoreError, TeacherId, teacher};
use lesson::bench::Plan;
use sqlx::types::Json;
use sqlx::{MySql, Transaction};

/// A draft with the revision that a save must be based on.
#[derive(Debug, Clone, PartialEq)]
pub struct KeptBench {
    /// One more at each save.
    pub revision: u32,
    /// The draft as it stands.
    pub plan: Plan,
}

type Row = (u32, Json<Plan>);

/// The draft of a teacher's own lesson, or that of the shelf; none where nothing was begun.
///
/// # Errors
/// [`StoreError::NotFound`] when the lesson is not theirs.
pub async fn find(
    db: &Db,
    owner: TeacherId,
    lesson: impl Into<Option<LessonId>>,
) -> Result<Option<KeptBench>, StoreError> {
    let lesson = lesson.into();
    let mut transaction = db.begin().await?;
    if let Some(lesson) = lesson {
        let sql = "SELECT id FROM lesson WHERE id = ? AND owner = ?";
        let query = sqlx::query_scalar(sql).bind(lesson).bind(owner);
        let found: Option<LessonId> = query.fetch_optional(&mut *transaction).await?;
        found.ok_or(StoreError::NotFound)?;
    }
    let row = stands(&mut transaction, owner, lesson).await?;
    transaction.commit().await?;
    Ok(row.map(|(revision, Json(plan))| KeptBench { revision, plan }))
}

async fn stands(
    transaction: &mut Transaction<'_, MySql>,
    owner: TeacherId,
    lesson: Option<LessonId>,
) -> Result<Option<Row>, StoreError> {
    let query = match lesson {
        Some(lesson) => {
            sqlx::query_as("SELECT revision, document FROM bench WHERE lesson = ?").bind(lesson)
        }
        None => {
            sqlx::query_as("SELECT revision, document FROM shelf_bench WHERE owner = ?").bind(owner)
        }
    };
    Ok(query.fetch_optional(&mut **transaction).await?)
}

/// Keeps a draft that was based on revision `based_on`, 0 for a new one, and tells its new revision.
///
/// # Errors
/// [`StoreError::NotFound`] when the lesson is not theirs, [`StoreError::Stale`] when somebody saved in between: nothing
/// is changed then.
pub async fn save(
    db: &Db,
    owner: TeacherId,
    lesson: impl Into<Option<LessonId>>,
    based_on: u32,
    plan: &Plan,
) -> Result<u32, StoreError> {
    let lesson = lesson.into();
    let mut transaction = db.begin().await?;
    match lesson {
        Some(lesson) => {
            let sql = "SELECT id FROM lesson WHERE id = ? AND owner = ? FOR UPDATE";
            let query = sqlx::query_scalar(sql).bind(lesson).bind(owner);
            let found: Option<LessonId> = query.fetch_optional(&mut *transaction).await?;
            found.ok_or(StoreError::NotFound)?;
        }
        None => teacher::lock(&mut transaction, owner).await?,
    }
    let revision = based_on.saturating_add(1);
    match stands(&mut transaction, owner, lesson).await? {
        // The same draft once more: a save whose answer was lost on the way.
        Some((stands, Json(kept))) if stands == revision && kept == *plan => return Ok(revision),
        Some((stands, _)) if stands != based_on => {
            return Err(StoreError::Stale { revision: stands });
        }
        None if based_on != 0 => return Err(StoreError::Stale { revision: 0 }),
        _ => {}
    }
    let query = match lesson {
        Some(lesson) => sqlx::query(
            "INSERT INTO bench (lesson, revision, document) VALUES (?, ?, ?)
               ON DUPLICATE KEY UPDATE revision = VALUES(revision), document = VALUES(document)",
        )
        .bind(lesson),
        None => sqlx::query(
            "INSERT INTO shelf_bench (owner, revision, document) VALUES (?, ?, ?)
               ON DUPLICATE KEY UPDATE revision = VALUES(revision), document = VALUES(document)",
        )
        .bind(owner),
    };
    query.bind(revision).bind(Json(plan)).execute(&mut *transaction).await?;
    transaction.commit().await?;
    Ok(revision)
}

/// Takes a draft off its bench.
pub(crate) async fn clear(
    transaction: &mut Transaction<'_, MySql>,
    owner: TeacherId,
    lesson: Option<LessonId>,
) -> Result<(), StoreError> {
    let query = match lesson {
        Some(lesson) => sqlx::query("DELETE FROM bench WHERE lesson = ?").bind(lesson),
        None => sqlx::query("DELETE FROM shelf_bench WHERE owner = ?").bind(owner),
    };
    query.execute(&mut **transaction).await?;
    Ok(())
}
