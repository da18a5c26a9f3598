//! What a lesson was: one version for each stretch of work on it.

use crate::{Db, LessonId, StoreError, TeacherId};
use lesson::Lesson;
use sqlx::types::Json;
use sqlx::types::time::OffsetDateTime;
use sqlx::{MySql, MySqlExecutor, Transaction};

/// Saves of one teacher within so many seconds are one stretch of work.
const STRETCH: i64 = 120;
/// Most versions of one lesson; the oldest go first.
pub const MOST_VERSIONS: u32 = 300;

/// A version of a lesson, without its contents.
#[derive(Debug, Clone, PartialEq, Eq)]
pub struct Version {
    /// The revision that it was.
    pub revision: u32,
    /// Who saved it.
    pub teacher: String,
    /// When it was saved last.
    pub saved_at: OffsetDateTime,
}

/// Records what a lesson is now: within a stretch of work of one teacher, in the place of what it was.
pub(super) async fn record(
    transaction: &mut Transaction<'_, MySql>,
    teacher: TeacherId,
    lesson: LessonId,
    revision: u32,
    document: &Lesson,
) -> Result<(), StoreError> {
    let sql = "UPDATE lesson_version SET revision = ?, document = ?, saved_at = CURRENT_TIMESTAMP(3)
               WHERE lesson = ? AND teacher = ? AND began_at > CURRENT_TIMESTAMP(3) - INTERVAL ? SECOND
               AND revision > 1 ORDER BY revision DESC LIMIT 1";
    let done = sqlx::query(sql)
        .bind(revision)
        .bind(Json(document))
        .bind(lesson)
        .bind(teacher)
        .bind(STRETCH)
        .execute(&mut **transaction)
        .await?;
    if done.rows_affected() > 0 {
        return Ok(());
    }
    let sql =
        "INSERT INTO lesson_version (lesson, revision, teacher, document) VALUES (?, ?, ?, ?)";
    sqlx::query(sql)
        .bind(lesson)
        .bind(revision)
        .bind(teacher)
        .bind(Json(document))
        .execute(&mut **transaction)
        .await?;
    // The first one stays: a lesson can always go back to how it began.
    let sql = "DELETE FROM lesson_version WHERE lesson = ? AND revision > 1 AND revision <= (
                 SELECT revision FROM (SELECT revision FROM lesson_version WHERE lesson = ?
                   ORDER BY revision DESC LIMIT 1 OFFSET ?) AS oldest)";
    sqlx::query(sql)
        .bind(lesson)
        .bind(lesson)
        .bind(MOST_VERSIONS)
        .execute(&mut **transaction)
        .await?;
    Ok(())
}

/// Ends the stretch of work on a teacher's own lesson: the next save is another version.
pub(super) async fn close(
    transaction: &mut Transaction<'_, MySql>,
    teacher: TeacherId,
    lesson: LessonId,
) -> Result<(), StoreError> {
    let sql = "UPDATE lesson_version SET began_at = began_at - INTERVAL ? SECOND
               WHERE lesson = ? AND teacher = ? ORDER BY revision DESC LIMIT 1";
    sqlx::query(sql).bind(STRETCH).bind(lesson).bind(teacher).execute(&mut **transaction).await?;
    Ok(())
}

/// The versions of a teacher's own lesson, the newest first.
///
/// # Errors
/// [`StoreError::NotFound`] when the lesson is not theirs.
pub async fn of_lesson(
    db: &Db,
    owner: TeacherId,
    lesson: LessonId,
) -> Result<Vec<Version>, StoreError> {
    super::find(db, owner, lesson).await?;
    let sql = "SELECT revision, teacher.name, saved_at FROM lesson_version
               JOIN teacher ON teacher.id = lesson_version.teacher
               WHERE lesson = ? ORDER BY revision DESC";
    let rows: Vec<(u32, String, OffsetDateTime)> =
        sqlx::query_as(sql).bind(lesson).fetch_all(db).await?;
    let version = |(revision, teacher, saved_at)| Version { revision, teacher, saved_at };
    Ok(rows.into_iter().map(version).collect())
}

/// A teacher's own lesson as it was at that revision.
///
/// # Errors
/// [`StoreError::NotFound`] when there is no such version, or the lesson is not theirs.
pub async fn find(
    db: &Db,
    owner: TeacherId,
    lesson: LessonId,
    revision: u32,
) -> Result<Lesson, StoreError> {
    read(db, owner, lesson, revision).await
}

pub(super) async fn read(
    from: impl MySqlExecutor<'_>,
    owner: TeacherId,
    lesson: LessonId,
    revision: u32,
) -> Result<Lesson, StoreError> {
    let sql = "SELECT lesson_version.document FROM lesson_version
               JOIN lesson ON lesson.id = lesson_version.lesson
               WHERE lesson = ? AND lesson_version.revision = ? AND owner = ?";
    let row: Option<(Json<Lesson>,)> =
        sqlx::query_as(sql).bind(lesson).bind(revision).bind(owner).fetch_optional(from).await?;
    row.map(|(Json(lesson),)| lesson).ok_or(StoreError::NotFound)
}
