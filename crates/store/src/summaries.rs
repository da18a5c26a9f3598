//! What shelves show of lessons and ladders that were kept before there was a place for it.

use crate::page::small;
use crate::{Db, LadderId, LessonId, StoreError, ladder};
use lesson::Lesson;
use skills::Ladder;
use sqlx::types::Json;

/// How many rows are read at a time.
const AT_A_TIME: u32 = 100;

/// Completes every row that has no words yet. What is cut off goes on at the next start.
pub(crate) async fn complete(db: &Db) -> Result<(), StoreError> {
    while of_lessons(db).await? > 0 {}
    while of_ladders(db).await? > 0 {}
    Ok(())
}

async fn of_lessons(db: &Db) -> Result<usize, StoreError> {
    let sql = "SELECT id, document FROM lesson WHERE words IS NULL LIMIT ?";
    let rows: Vec<(LessonId, String)> = sqlx::query_as(sql).bind(AT_A_TIME).fetch_all(db).await?;
    for (id, document) in &rows {
        // One that cannot be read keeps nobody from the others.
        let Ok(lesson) = serde_json::from_str::<Lesson>(document) else {
            let sql = "UPDATE lesson SET words = '', updated_at = updated_at WHERE id = ?";
            sqlx::query(sql).bind(id).execute(db).await?;
            continue;
        };
        let checked = lesson.checked();
        // When it was changed stays as it was: nobody changed it.
        let sql = "UPDATE lesson SET minutes = ?, slides = ?, claims = ?, proved = ?, words = ?,
                     updated_at = updated_at WHERE id = ? AND words IS NULL";
        sqlx::query(sql)
            .bind(lesson.minutes)
            .bind(small(lesson.slides.len(), u16::MAX))
            .bind(checked.lines)
            .bind(checked.hold)
            .bind(lesson.words())
            .bind(id)
            .execute(db)
            .await?;
    }
    Ok(rows.len())
}

async fn of_ladders(db: &Db) -> Result<usize, StoreError> {
    let sql = "SELECT id, title, document FROM ladder WHERE words IS NULL LIMIT ?";
    let rows: Vec<(LadderId, String, String)> =
        sqlx::query_as(sql).bind(AT_A_TIME).fetch_all(db).await?;
    for (id, title, document) in &rows {
        let Ok(made) = serde_json::from_str::<Ladder>(document) else {
            let sql = "UPDATE ladder SET words = '' WHERE id = ?";
            sqlx::query(sql).bind(id).execute(db).await?;
            continue;
        };
        let sql =
            "UPDATE ladder SET rungs = ?, skills = ?, words = ? WHERE id = ? AND words IS NULL";
        sqlx::query(sql)
            .bind(small(made.rungs.len(), u16::MAX))
            .bind(Json(made.skills()))
            .bind(ladder::words(title, &made))
            .bind(id)
            .execute(db)
            .await?;
    }
    Ok(rows.len())
}
