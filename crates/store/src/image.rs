//! Images of a teacher's slides, as they were made safe.

use crate::{Db, ImageId, StoreError, TeacherId, teacher};
use sqlx::{MySql, Transaction};

/// Most images of one teacher.
pub const MOST_IMAGES: i64 = 2_000;

/// Keeps a new image; `kind` is `png`, `jpeg` or `svg`.
///
/// # Errors
/// [`StoreError::Full`] past [`MOST_IMAGES`].
pub async fn create(
    db: &Db,
    owner: TeacherId,
    kind: &str,
    bytes: &[u8],
) -> Result<ImageId, StoreError> {
    let mut transaction = db.begin().await?;
    teacher::lock(&mut transaction, owner).await?;
    let id = insert(&mut transaction, owner, kind, bytes).await?;
    transaction.commit().await?;
    Ok(id)
}

/// Keeps a new image of a teacher who is locked.
pub(crate) async fn insert(
    transaction: &mut Transaction<'_, MySql>,
    owner: TeacherId,
    kind: &str,
    bytes: &[u8],
) -> Result<ImageId, StoreError> {
    let sql = "SELECT COUNT(*) FROM image WHERE owner = ?";
    let count: i64 = sqlx::query_scalar(sql).bind(owner).fetch_one(&mut **transaction).await?;
    if count >= MOST_IMAGES {
        return Err(StoreError::Full);
    }
    let sql = "INSERT INTO image (owner, kind, bytes) VALUES (?, ?, ?)";
    let made =
        sqlx::query(sql).bind(owner).bind(kind).bind(bytes).execute(&mut **transaction).await?;
    Ok(ImageId(made.last_insert_id()))
}

/// The kind and the bytes of an image.
///
/// # Errors
/// [`StoreError::NotFound`] when it is not theirs.
pub async fn find(db: &Db, owner: TeacherId, id: ImageId) -> Result<(String, Vec<u8>), StoreError> {
    let sql = "SELECT kind, bytes FROM image WHERE id = ? AND owner = ?";
    sqlx::query_as(sql).bind(id).bind(owner).fetch_optional(db).await?.ok_or(StoreError::NotFound)
}
