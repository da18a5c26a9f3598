//! Ladders as they were posed, on a lesson or on the shelf by themselves, each with the link of its Step Desk.

use crate::page::{self, Page, cursor, numbers, small, sought};
use crate::{Db, LadderId, LessonId, StoreError, TeacherId, bench, link, teacher};
use lesson::bench::Plan;
use skills::Ladder;
use sqlx::types::Json;
use sqlx::{MySql, Transaction};

/// Most ladders of one lesson.
pub const MOST_LADDERS: i64 = 200;
/// Most ladders of one teacher that hang on no lesson.
pub const MOST_OWN_LADDERS: i64 = 2_000;

/// Hints come in so many strengths.
pub const STRONGEST_HINT: u8 = 3;

/// A ladder with what it is called.
#[derive(Debug, Clone, PartialEq)]
pub struct KeptLadder {
    /// Its id.
    pub id: LadderId,
    /// The lesson it hangs on, if it hangs on one.
    pub lesson: Option<LessonId>,
    /// What it is called.
    pub title: String,
    /// Opens its Step Desk.
    pub link: String,
    /// The strongest hint that students are given there: 0 for none, up to [`STRONGEST_HINT`].
    pub hints: u8,
    /// Whether an answer may stand there without a working.
    pub alone: bool,
    /// Its problems, as they were posed.
    pub ladder: Ladder,
    /// What it was made of, where that was kept: other versions are made of it.
    pub plan: Option<Plan>,
}

type Row = (LadderId, Option<LessonId>, String, String, u8, bool, Json<Ladder>, Option<Json<Plan>>);

fn kept((id, lesson, title, link, hints, alone, Json(ladder), plan): Row) -> KeptLadder {
    KeptLadder { id, lesson, title, link, hints, alone, ladder, plan: plan.map(|Json(plan)| plan) }
}

/// Keeps a new ladder: on a lesson of the same owner, or on the shelf by itself. With the plan that it was made of, the
/// bench that it lay on is cleared.
///
/// # Errors
/// [`StoreError::NotFound`] when the lesson is not theirs, [`StoreError::Full`] past [`MOST_LADDERS`] of a lesson and
/// [`MOST_OWN_LADDERS`] of a teacher.
pub async fn create(
    db: &Db,
    owner: TeacherId,
    lesson: impl Into<Option<LessonId>>,
    title: &str,
    ladder: &Ladder,
    plan: Option<&Plan>,
) -> Result<LadderId, StoreError> {
    let lesson = lesson.into();
    let mut transaction = db.begin().await?;
    let id = insert(&mut transaction, owner, lesson, title, ladder, plan).await?;
    if plan.is_some() {
        bench::clear(&mut transaction, owner, lesson).await?;
    }
    transaction.commit().await?;
    Ok(id)
}

/// Puts a copy of a ladder on a teacher's shelf, with where it came from, in words.
///
/// # Errors
/// [`StoreError::Full`] past [`MOST_OWN_LADDERS`].
pub async fn copy(
    db: &Db,
    owner: TeacherId,
    kept: &KeptLadder,
    came_from: &str,
) -> Result<LadderId, StoreError> {
    let mut transaction = db.begin().await?;
    let plan = kept.plan.as_ref();
    let id = insert(&mut transaction, owner, None, &kept.title, &kept.ladder, plan).await?;
    let sql = "UPDATE ladder SET came_from = ? WHERE id = ?";
    sqlx::query(sql).bind(came_from).bind(id).execute(&mut *transaction).await?;
    transaction.commit().await?;
    Ok(id)
}

/// Makes sure that there is room for one more ladder on the lesson, or on the shelf, and that nobody else takes it.
async fn room(
    transaction: &mut Transaction<'_, MySql>,
    owner: TeacherId,
    lesson: Option<LessonId>,
) -> Result<(), StoreError> {
    let most = match lesson {
        Some(lesson) => {
            let sql = "SELECT id FROM lesson WHERE id = ? AND owner = ? FOR UPDATE";
            let query = sqlx::query_scalar(sql).bind(lesson).bind(owner);
            let found: Option<LessonId> = query.fetch_optional(&mut **transaction).await?;
            found.ok_or(StoreError::NotFound)?;
            MOST_LADDERS
        }
        None => {
            teacher::lock(transaction, owner).await?;
            MOST_OWN_LADDERS
        }
    };
    let sql = "SELECT COUNT(*) FROM ladder WHERE owner = ? AND lesson <=> ?";
    let query = sqlx::query_scalar(sql).bind(owner).bind(lesson);
    let count: i64 = query.fetch_one(&mut **transaction).await?;
    if count >= most { Err(StoreError::Full) } else { Ok(()) }
}

/// Keeps a new ladder within a transaction, as [`create`] does.
pub(crate) async fn insert(
    transaction: &mut Transaction<'_, MySql>,
    owner: TeacherId,
    lesson: Option<LessonId>,
    title: &str,
    ladder: &Ladder,
    plan: Option<&Plan>,
) -> Result<LadderId, StoreError> {
    room(transaction, owner, lesson).await?;
    let sql =
        "INSERT INTO ladder (owner, lesson, title, link, document, plan, rungs, skills, words)
               VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)";
    let done = sqlx::query(sql)
        .bind(owner)
        .bind(lesson)
        .bind(title)
        .bind(link())
        .bind(Json(ladder))
        .bind(plan.map(Json))
        .bind(small(ladder.rungs.len(), u16::MAX))
        .bind(Json(ladder.skills()))
        .bind(words(title, ladder))
        .execute(&mut **transaction)
        .await?;
    Ok(LadderId(done.last_insert_id()))
}

/// Hangs a teacher's ladder on a lesson of theirs, or takes it off and puts it on the shelf.
///
/// # Errors
/// [`StoreError::NotFound`] when one of them is not theirs, [`StoreError::Full`] where there is no room for it.
pub async fn hang(
    db: &Db,
    owner: TeacherId,
    id: LadderId,
    lesson: Option<LessonId>,
) -> Result<(), StoreError> {
    let mut transaction = db.begin().await?;
    room(&mut transaction, owner, lesson).await?;
    let sql = "SELECT id FROM ladder WHERE id = ? AND owner = ? FOR UPDATE";
    let query = sqlx::query_scalar(sql).bind(id).bind(owner);
    let found: Option<LadderId> = query.fetch_optional(&mut *transaction).await?;
    found.ok_or(StoreError::NotFound)?;
    let sql = "UPDATE ladder SET lesson = ? WHERE id = ?";
    sqlx::query(sql).bind(lesson).bind(id).execute(&mut *transaction).await?;
    transaction.commit().await?;
    Ok(())
}

/// Takes a teacher's ladder away, with the desks that were joined by its own link.
///
/// # Errors
/// [`StoreError::NotFound`] when it is not theirs, [`StoreError::Taken`] while it is given to a class.
pub async fn remove(db: &Db, owner: TeacherId, id: LadderId) -> Result<(), StoreError> {
    let mut transaction = db.begin().await?;
    let sql = "SELECT id FROM ladder WHERE id = ? AND owner = ? FOR UPDATE";
    let query = sqlx::query_scalar(sql).bind(id).bind(owner);
    let found: Option<LadderId> = query.fetch_optional(&mut *transaction).await?;
    found.ok_or(StoreError::NotFound)?;
    let sql = "SELECT id FROM assignment WHERE ladder = ? LIMIT 1";
    let given: Option<u64> =
        sqlx::query_scalar(sql).bind(id).fetch_optional(&mut *transaction).await?;
    if given.is_some() {
        return Err(StoreError::Taken);
    }
    for sql in [
        "DELETE desk_rung FROM desk_rung JOIN desk ON desk.id = desk_rung.desk WHERE desk.ladder = ?",
        "DELETE FROM desk WHERE ladder = ?",
        "DELETE FROM share WHERE ladder = ?",
        "DELETE FROM ladder WHERE id = ?",
    ] {
        sqlx::query(sql).bind(id).execute(&mut *transaction).await?;
    }
    transaction.commit().await?;
    Ok(())
}

/// What a ladder is found by, in small letters: its title, and those of its skills.
pub(crate) fn words(title: &str, ladder: &Ladder) -> String {
    let skills = ladder.skills().into_iter().filter_map(skills::find);
    let titles = skills.map(|skill| skill.card().title);
    std::iter::once(title).chain(titles).collect::<Vec<_>>().join("\n").to_lowercase()
}

/// The teacher's own ladder `id`.
///
/// # Errors
/// [`StoreError::NotFound`] if there is none, and equally if it is another teacher's.
pub async fn find(db: &Db, owner: TeacherId, id: LadderId) -> Result<KeptLadder, StoreError> {
    let sql = "SELECT id, lesson, title, link, hints, alone, document, plan FROM ladder WHERE id = ? AND owner = ?";
    let row: Option<Row> = sqlx::query_as(sql).bind(id).bind(owner).fetch_optional(db).await?;
    row.map(kept).ok_or(StoreError::NotFound)
}

/// The ladders that hang on a teacher's lesson, in the order in which they were made.
///
/// # Errors
/// The database does not answer.
pub async fn of_lesson(
    db: &Db,
    owner: TeacherId,
    lesson: LessonId,
) -> Result<Vec<KeptLadder>, StoreError> {
    let sql = "SELECT id, lesson, title, link, hints, alone, document, plan FROM ladder
               WHERE lesson = ? AND owner = ? ORDER BY id";
    let rows: Vec<Row> = sqlx::query_as(sql).bind(lesson).bind(owner).fetch_all(db).await?;
    Ok(rows.into_iter().map(kept).collect())
}

/// A ladder as it hangs on a lesson.
#[derive(Debug, Clone, PartialEq, Eq, sqlx::FromRow)]
pub struct Hung {
    /// Its id.
    pub id: LadderId,
    /// What it is called.
    pub title: String,
    /// Opens its Step Desk.
    pub link: String,
    /// How many rungs it has.
    pub rungs: u16,
}

/// The ladders that hang on a teacher's lesson, in the order in which they were made, without their problems.
///
/// # Errors
/// [`StoreError::NotFound`] when the lesson is not theirs.
pub async fn hung(db: &Db, owner: TeacherId, lesson: LessonId) -> Result<Vec<Hung>, StoreError> {
    let sql = "SELECT id FROM lesson WHERE id = ? AND owner = ?";
    let found: Option<LessonId> =
        sqlx::query_scalar(sql).bind(lesson).bind(owner).fetch_optional(db).await?;
    found.ok_or(StoreError::NotFound)?;
    let sql =
        "SELECT id, title, link, rungs FROM ladder WHERE lesson = ? AND owner = ? ORDER BY id";
    Ok(sqlx::query_as(sql).bind(lesson).bind(owner).fetch_all(db).await?)
}

/// A ladder as it stands on the shelf.
#[derive(Debug, Clone, PartialEq, Eq)]
pub struct OnShelf {
    /// Its id.
    pub id: LadderId,
    /// The lesson it hangs on, if it hangs on one.
    pub lesson: Option<LessonId>,
    /// What it is called.
    pub title: String,
    /// How many rungs it has.
    pub rungs: u16,
    /// The ids of its skills, in the order of its rungs.
    pub skills: Vec<String>,
}

/// Its id, its lesson, its title, how many rungs, and the skills of them.
type ShelfRow = (LadderId, Option<LessonId>, String, u16, Option<Json<Vec<String>>>);

/// A page of a teacher's ladders that hold all of these words, the newest first: those of lessons on the shelf, and those
/// that hang on none.
///
/// # Errors
/// [`StoreError::NoSuchPage`] for a cursor that is not one of ours.
pub async fn of_teacher(
    db: &Db,
    owner: TeacherId,
    words: &str,
    after: Option<&str>,
) -> Result<Page<OnShelf>, StoreError> {
    let [before] = after.map_or(Ok([i64::MAX]), numbers)?;
    let sql = "SELECT ladder.id, lesson, ladder.title, rungs, skills FROM ladder
               LEFT JOIN lesson ON lesson.id = ladder.lesson
               WHERE ladder.owner = ? AND COALESCE(lesson.place, 'shelf') = 'shelf' AND ladder.id < ?
                 AND NOT EXISTS (
                   SELECT 1 FROM JSON_TABLE(?, '$[*]' COLUMNS (word VARCHAR(400) PATH '$')) AS sought
                   WHERE LOCATE(sought.word COLLATE utf8mb4_bin, COALESCE(ladder.words, '')) = 0)
               ORDER BY ladder.id DESC LIMIT ?";
    let rows: Vec<ShelfRow> = sqlx::query_as(sql)
        .bind(owner)
        .bind(before)
        .bind(sought(words))
        .bind(page::MOST + 1)
        .fetch_all(db)
        .await?;
    let entries = rows.into_iter().map(|(id, lesson, title, rungs, skills)| OnShelf {
        id,
        lesson,
        title,
        rungs,
        skills: skills.map(|Json(skills)| skills).unwrap_or_default(),
    });
    Ok(Page::of(entries.collect(), page::MOST, |last| cursor([last.id.0.into()])))
}

/// Gives a ladder's Step Desk a new link; the one before opens nothing any more.
///
/// # Errors
/// [`StoreError::NotFound`] when the ladder is not theirs.
pub async fn renew_link(db: &Db, owner: TeacherId, id: LadderId) -> Result<String, StoreError> {
    let link = link();
    let sql = "UPDATE ladder SET link = ? WHERE id = ? AND owner = ?";
    let done = sqlx::query(sql).bind(&link).bind(id).bind(owner).execute(db).await?;
    if done.rows_affected() == 1 { Ok(link) } else { Err(StoreError::NotFound) }
}

/// The ladder whose Step Desk `link` opens.
///
/// # Errors
/// [`StoreError::NotFound`] when the link opens nothing.
pub async fn by_link(db: &Db, link: &str) -> Result<KeptLadder, StoreError> {
    let sql =
        "SELECT id, lesson, title, link, hints, alone, document, plan FROM ladder WHERE link = ?";
    let row: Option<Row> = sqlx::query_as(sql).bind(link).fetch_optional(db).await?;
    // The column compares letters without their case; a link does not.
    row.map(kept).filter(|ladder| ladder.link == link).ok_or(StoreError::NotFound)
}

/// A ladder, whosever it is: for whoever was let in by another way.
///
/// # Errors
/// [`StoreError::NotFound`] when there is none.
pub(crate) async fn any(db: &Db, id: LadderId) -> Result<KeptLadder, StoreError> {
    let sql =
        "SELECT id, lesson, title, link, hints, alone, document, plan FROM ladder WHERE id = ?";
    let row: Option<Row> = sqlx::query_as(sql).bind(id).fetch_optional(db).await?;
    row.map(kept).ok_or(StoreError::NotFound)
}

/// Sets how strong a hint students are given on the Step Desk of a teacher's own ladder, and whether an answer may stand
/// there alone.
///
/// # Errors
/// [`StoreError::NotFound`] if there is no such ladder, and equally if it is another teacher's.
pub async fn set_rules(
    db: &Db,
    owner: TeacherId,
    id: LadderId,
    hints: u8,
    alone: bool,
) -> Result<(), StoreError> {
    let mut transaction = db.begin().await?;
    let sql = "SELECT id FROM ladder WHERE id = ? AND owner = ? FOR UPDATE";
    let found: Option<LadderId> =
        sqlx::query_scalar(sql).bind(id).bind(owner).fetch_optional(&mut *transaction).await?;
    found.ok_or(StoreError::NotFound)?;
    let sql = "UPDATE ladder SET hints = ?, alone = ? WHERE id = ?";
    let hints = hints.min(STRONGEST_HINT);
    sqlx::query(sql).bind(hints).bind(alone).bind(id).execute(&mut *transaction).await?;
    transaction.commit().await?;
    Ok(())
}
