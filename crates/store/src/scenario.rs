//! A teacher's own scenarios.

use crate::{Db, ScenarioId, StoreError, TeacherId, teacher};
use sqlx::types::Json;
use teaching::scenario::OwnScenario;

/// Most scenarios of one teacher.
pub const MOST_SCENARIOS: i64 = 100;

/// A scenario with the revision that a save must be based on.
#[derive(Debug, Clone, PartialEq, Eq)]
pub struct KeptScenario {
    /// Its id.
    pub id: ScenarioId,
    /// One more at each save.
    pub revision: u32,
    /// The scenario as it stands.
    pub world: OwnScenario,
}

/// Every scenario of a teacher, the oldest first.
///
/// # Errors
/// When the database fails.
pub async fn all(db: &Db, owner: TeacherId) -> Result<Vec<KeptScenario>, StoreError> {
    let sql = "SELECT id, revision, document FROM scenario WHERE owner = ? ORDER BY id";
    let rows: Vec<(ScenarioId, u32, Json<OwnScenario>)> =
        sqlx::query_as(sql).bind(owner).fetch_all(db).await?;
    let kept = |(id, revision, Json(world))| KeptScenario { id, revision, world };
    Ok(rows.into_iter().map(kept).collect())
}

/// Keeps a new scenario.
///
/// # Errors
/// [`StoreError::Full`] past [`MOST_SCENARIOS`].
pub async fn create(
    db: &Db,
    owner: TeacherId,
    world: &OwnScenario,
) -> Result<ScenarioId, StoreError> {
    let mut transaction = db.begin().await?;
    teacher::lock(&mut transaction, owner).await?;
    let sql = "SELECT COUNT(*) FROM scenario WHERE owner = ?";
    let count: i64 = sqlx::query_scalar(sql).bind(owner).fetch_one(&mut *transaction).await?;
    if count >= MOST_SCENARIOS {
        return Err(StoreError::Full);
    }
    let sql = "INSERT INTO scenario (owner, document) VALUES (?, ?)";
    let made = sqlx::query(sql).bind(owner).bind(Json(world)).execute(&mut *transaction).await?;
    transaction.commit().await?;
    Ok(ScenarioId(made.last_insert_id()))
}

/// Saves a scenario that was based on revision `based_on`, and tells its new revision.
///
/// # Errors
/// [`StoreError::NotFound`] when it is not theirs, [`StoreError::Stale`] when somebody saved in between: nothing is
/// changed then.
pub async fn save(
    db: &Db,
    owner: TeacherId,
    id: ScenarioId,
    based_on: u32,
    world: &OwnScenario,
) -> Result<u32, StoreError> {
    let mut transaction = db.begin().await?;
    let sql = "SELECT revision, document FROM scenario WHERE id = ? AND owner = ? FOR UPDATE";
    let stands: Option<(u32, Json<OwnScenario>)> =
        sqlx::query_as(sql).bind(id).bind(owner).fetch_optional(&mut *transaction).await?;
    let (stands, Json(kept)) = stands.ok_or(StoreError::NotFound)?;
    let revision = based_on.saturating_add(1);
    if stands == revision && kept == *world {
        // The same scenario once more: a save whose answer was lost on the way.
        return Ok(revision);
    }
    if stands != based_on {
        return Err(StoreError::Stale { revision: stands });
    }
    let sql = "UPDATE scenario SET revision = ?, document = ? WHERE id = ?";
    sqlx::query(sql).bind(revision).bind(Json(world)).bind(id).execute(&mut *transaction).await?;
    transaction.commit().await?;
    Ok(revision)
}

/// Takes a scenario away. Ladders that were drawn with it keep their stories.
///
/// # Errors
/// [`StoreError::NotFound`] when it is not theirs.
pub async fn remove(db: &Db, owner: TeacherId, id: ScenarioId) -> Result<(), StoreError> {
    let sql = "DELETE FROM scenario WHERE id = ? AND owner = ?";
    let gone = sqlx::query(sql).bind(id).bind(owner).execute(db).await?;
    if gone.rows_affected() == 0 { Err(StoreError::NotFound) } else { Ok(()) }
}
