//! Step Desks: who joined, and what each wrote on each rung.

use crate::database::random_signs;
use crate::page::{self, Page, cursor, numbers};
use crate::{Db, DeskId, LadderId, StoreError, TeacherId};
use desk::{DeskLine, GivenAnswer, Judgement};
use sqlx::types::Json;

/// Most desks of one ladder: a year group, with room for those who start again.
pub const MOST_DESKS: i64 = 600;

/// What was written on one rung.
#[derive(Debug, Clone, PartialEq)]
pub struct Written {
    /// The rung's number, from 1.
    pub rung: u16,
    /// One more at each save.
    pub revision: u32,
    /// The lines as they were written.
    pub lines: Vec<DeskLine>,
    /// What stands in the place for the answer.
    pub answer: Option<GivenAnswer>,
    /// As the student was told.
    pub judgement: Judgement,
}

/// A student's desk with all that is on it.
#[derive(Debug, Clone, PartialEq)]
pub struct Desk {
    /// Its id.
    pub id: DeskId,
    /// The name the student gave.
    pub student: String,
    /// With the name, the way back to this desk from anywhere.
    pub code: String,
    /// Rungs that were begun, in order.
    pub written: Vec<Written>,
}

/// Signs of the code of a desk.
const CODE: usize = 4;

/// Sets a desk up for a student.
///
/// # Errors
/// [`StoreError::Taken`] when a desk of this ladder has that name, [`StoreError::Full`] past [`MOST_DESKS`].
pub async fn join(db: &Db, ladder: LadderId, student: &str) -> Result<DeskId, StoreError> {
    let mut transaction = db.begin().await?;
    let sql = "SELECT id FROM ladder WHERE id = ? FOR UPDATE";
    let found: Option<LadderId> =
        sqlx::query_scalar(sql).bind(ladder).fetch_optional(&mut *transaction).await?;
    found.ok_or(StoreError::NotFound)?;
    let sql = "SELECT id FROM desk WHERE ladder = ? AND student = ? AND assignment IS NULL LIMIT 1";
    let taken: Option<DeskId> = sqlx::query_scalar(sql)
        .bind(ladder)
        .bind(student)
        .fetch_optional(&mut *transaction)
        .await?;
    if taken.is_some() {
        return Err(StoreError::Taken);
    }
    let sql = "SELECT COUNT(*) FROM desk WHERE ladder = ? AND assignment IS NULL";
    let count: i64 = sqlx::query_scalar(sql).bind(ladder).fetch_one(&mut *transaction).await?;
    if count >= MOST_DESKS {
        return Err(StoreError::Full);
    }
    let sql = "INSERT INTO desk (ladder, student, code) VALUES (?, ?, ?)";
    let query = sqlx::query(sql).bind(ladder).bind(student).bind(random_signs(CODE));
    let done = query.execute(&mut *transaction).await?;
    transaction.commit().await?;
    Ok(DeskId(done.last_insert_id()))
}

/// The desk of a student who comes back with the name and the code.
///
/// # Errors
/// [`StoreError::NotFound`] when they do not go together.
pub async fn come_back(
    db: &Db,
    ladder: LadderId,
    student: &str,
    code: &str,
) -> Result<DeskId, StoreError> {
    let sql = "SELECT id FROM desk WHERE ladder = ? AND student = ? AND code = ? AND code <> ''";
    let query = sqlx::query_scalar(sql).bind(ladder).bind(student).bind(code.to_lowercase());
    query.fetch_optional(db).await?.ok_or(StoreError::NotFound)
}

/// Takes a desk away with all that is on it.
///
/// # Errors
/// [`StoreError::NotFound`] when there is no such desk at a ladder of theirs.
pub async fn remove(
    db: &Db,
    owner: TeacherId,
    ladder: LadderId,
    desk: DeskId,
) -> Result<(), StoreError> {
    let mut transaction = db.begin().await?;
    let sql = "SELECT desk.id FROM desk JOIN ladder ON ladder.id = desk.ladder
               WHERE desk.id = ? AND ladder.id = ? AND ladder.owner = ? FOR UPDATE";
    let query = sqlx::query_scalar(sql).bind(desk).bind(ladder).bind(owner);
    let found: Option<DeskId> = query.fetch_optional(&mut *transaction).await?;
    found.ok_or(StoreError::NotFound)?;
    for sql in ["DELETE FROM desk_rung WHERE desk = ?", "DELETE FROM desk WHERE id = ?"] {
        sqlx::query(sql).bind(desk).execute(&mut *transaction).await?;
    }
    transaction.commit().await?;
    Ok(())
}

type Answer = Option<Json<GivenAnswer>>;
type RowOfDesk = (DeskId, u16, u32, Json<Vec<DeskLine>>, Answer, Json<Judgement>);
type Row = (u16, u32, Json<Vec<DeskLine>>, Answer, Json<Judgement>);

fn written((rung, revision, Json(lines), answer, Json(judgement)): Row) -> Written {
    Written { rung, revision, lines, answer: answer.map(|Json(answer)| answer), judgement }
}

/// A desk at a ladder.
///
/// # Errors
/// [`StoreError::NotFound`] when there is no such desk at this ladder.
pub async fn find(db: &Db, ladder: LadderId, desk: DeskId) -> Result<Desk, StoreError> {
    let sql = "SELECT student, code FROM desk WHERE id = ? AND ladder = ?";
    let found: Option<(String, String)> =
        sqlx::query_as(sql).bind(desk).bind(ladder).fetch_optional(db).await?;
    let (student, code) = found.ok_or(StoreError::NotFound)?;
    let sql = "SELECT rung, revision, written, answer, judgement FROM desk_rung WHERE desk = ? ORDER BY rung";
    let rows: Vec<Row> = sqlx::query_as(sql).bind(desk).fetch_all(db).await?;
    Ok(Desk { id: desk, student, code, written: rows.into_iter().map(written).collect() })
}

/// Keeps what stands on a rung, based on revision `based_on` (0 when nothing was there), and tells
/// the new revision. When this returns, it is committed.
///
/// # Errors
/// [`StoreError::Stale`] when another window of the same student saved in between: nothing is changed.
pub async fn save(db: &Db, desk: DeskId, based_on: u32, new: &Written) -> Result<u32, StoreError> {
    let done = if based_on == 0 {
        let sql =
            "INSERT INTO desk_rung (desk, rung, written, answer, judgement) VALUES (?, ?, ?, ?, ?)";
        let query = sqlx::query(sql).bind(desk).bind(new.rung).bind(Json(&new.lines));
        query.bind(new.answer.as_ref().map(Json)).bind(Json(&new.judgement)).execute(db).await
    } else {
        let sql =
            "UPDATE desk_rung SET revision = revision + 1, written = ?, answer = ?, judgement = ?
                   WHERE desk = ? AND rung = ? AND revision = ?";
        let query = sqlx::query(sql).bind(Json(&new.lines)).bind(new.answer.as_ref().map(Json));
        let query = query.bind(Json(&new.judgement));
        query.bind(desk).bind(new.rung).bind(based_on).execute(db).await
    };
    match done {
        Ok(done) if done.rows_affected() == 1 => return Ok(based_on + 1),
        Ok(_) => {}
        Err(sqlx::Error::Database(error)) if error.is_unique_violation() => {}
        Err(error) => return Err(error.into()),
    }
    let sql = "SELECT revision, written, answer FROM desk_rung WHERE desk = ? AND rung = ?";
    let stands: Option<(u32, Json<Vec<DeskLine>>, Answer)> =
        sqlx::query_as(sql).bind(desk).bind(new.rung).fetch_optional(db).await?;
    match stands {
        // The same lines once more: a save whose answer was lost on the way.
        Some((revision, Json(lines), answer))
            if revision == based_on + 1
                && lines == new.lines
                && answer.as_ref().map(|Json(answer)| answer) == new.answer.as_ref() =>
        {
            Ok(revision)
        }
        stands => Err(StoreError::Stale { revision: stands.map_or(0, |(revision, ..)| revision) }),
    }
}

/// A page of the desks at a teacher's ladder, in the order in which students joined.
///
/// # Errors
/// [`StoreError::NotFound`] when the ladder is not theirs, [`StoreError::NoSuchPage`] for a cursor that is not one of ours.
pub async fn of_ladder(
    db: &Db,
    owner: TeacherId,
    ladder: LadderId,
    after: Option<&str>,
) -> Result<Page<Desk>, StoreError> {
    let [after] = after.map_or(Ok([0]), numbers)?;
    let sql = "SELECT id FROM ladder WHERE id = ? AND owner = ?";
    let found: Option<LadderId> =
        sqlx::query_scalar(sql).bind(ladder).bind(owner).fetch_optional(db).await?;
    found.ok_or(StoreError::NotFound)?;
    let sql = "SELECT id, student, code FROM desk
               WHERE ladder = ? AND assignment IS NULL AND id > ? ORDER BY id LIMIT ?";
    let names: Vec<(DeskId, String, String)> =
        sqlx::query_as(sql).bind(ladder).bind(after).bind(page::MOST + 1).fetch_all(db).await?;
    let desk = |(id, student, code)| Desk { id, student, code, written: Vec::new() };
    let desks: Vec<Desk> = names.into_iter().map(desk).collect();
    let mut page = Page::of(desks, page::MOST, |last| cursor([last.id.0.into()]));
    let Some(last) = page.entries.last().map(|last| last.id) else { return Ok(page) };
    let sql = "SELECT desk, rung, revision, written, answer, judgement FROM desk_rung
               JOIN desk ON desk.id = desk_rung.desk
               WHERE desk.ladder = ? AND desk > ? AND desk <= ? ORDER BY desk, rung";
    let rows: Vec<RowOfDesk> =
        sqlx::query_as(sql).bind(ladder).bind(after).bind(last).fetch_all(db).await?;
    for (desk, rung, revision, lines, answer, judgement) in rows {
        // Desks are in the order of their ids.
        if let Ok(at) = page.entries.binary_search_by_key(&desk, |desk| desk.id) {
            page.entries[at].written.push(written((rung, revision, lines, answer, judgement)));
        }
    }
    Ok(page)
}
