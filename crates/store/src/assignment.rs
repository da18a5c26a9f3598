//! Assignments: a ladder given to a class, and the desks of its students.

mod came_back;

pub use came_back::{CameBack, Work, Written, came_back, work};

use crate::ladder::{self, KeptLadder, STRONGEST_HINT};
use crate::{AssignmentId, ClassId, Db, DeskId, LadderId, StoreError, StudentId, TeacherId, link};
use lesson::bench::Plan;
pub use live::Feedback;
use skills::Ladder;
use sqlx::types::Json;
use sqlx::{MySql, Transaction};

/// Most assignments of one class.
pub const MOST_ASSIGNMENTS: i64 = 400;

/// Most tries of one student, where they have as many as they like.
pub const MOST_TRIES: u8 = 20;

/// What holds for an assignment.
#[derive(
    Debug, Clone, Copy, PartialEq, Eq, serde::Serialize, serde::Deserialize, utoipa::ToSchema,
)]
pub struct AssignmentRules {
    /// When it is due, as Unix time in seconds.
    #[serde(default)]
    pub due: Option<i64>,
    /// The strongest hint, from 0 to 3.
    pub hints: u8,
    /// Whether an answer may stand without a working.
    pub alone: bool,
    /// When students see what is said of their lines.
    pub feedback: Feedback,
    /// Whether a stage opens only when the one below is finished.
    pub staged: bool,
    /// How often it may be handed in; 0 for as often as they like.
    #[serde(default = "one")]
    pub tries: u8,
    /// Whether each try has other numbers.
    #[serde(default)]
    pub fresh: bool,
}

const fn one() -> u8 {
    1
}

impl AssignmentRules {
    /// Whether there is another try after so many.
    #[must_use]
    pub const fn allow_after(&self, tries: u8) -> bool {
        tries < MOST_TRIES && (self.tries == 0 || tries < self.tries)
    }
}

/// An assignment.
#[derive(Debug, Clone, PartialEq, Eq)]
pub struct Assignment {
    /// Its id.
    pub id: AssignmentId,
    /// The class it was given to.
    pub class: ClassId,
    /// The ladder.
    pub ladder: LadderId,
    /// What the ladder is called.
    pub title: String,
    /// Opens its Step Desk for a student of the class.
    pub link: String,
    /// What holds for it.
    pub rules: AssignmentRules,
    /// How many rungs it has.
    pub rungs: u16,
    /// The student whom alone it is for.
    pub of_student: Option<StudentId>,
}

impl Assignment {
    /// Whether its student sees at `now`, as Unix time in seconds, what is said of the lines of a desk that has come so far.
    #[must_use]
    pub fn tells(&self, progress: Progress, now: i64) -> bool {
        let AssignmentRules { feedback, due, .. } = self.rules;
        feedback.tells(due, progress.given_back.is_some(), now)
    }

    /// Whether it is for that student of its class.
    #[must_use]
    pub fn is_for(&self, student: StudentId) -> bool {
        self.of_student.is_none_or(|only| only == student)
    }
}

/// What is given.
#[derive(Debug, Clone, Copy)]
pub enum Given<'a> {
    /// A ladder that is kept; with the same ladder worked by the methods of the class, where they are others.
    Kept(LadderId, Option<&'a Ladder>),
    /// A ladder that is made for it: its title, its problems, and what it is made of.
    New(&'a str, &'a Ladder, &'a Plan),
}

/// To whom something is given.
#[derive(Debug, Clone, Copy)]
pub enum To {
    /// A class.
    Class(ClassId),
    /// One student of a class.
    Student(ClassId, StudentId),
    /// Whoever has its link: an open class of that grade is made for them, which is called as the ladder is.
    Link(u8),
}

/// An assignment to be made.
#[derive(Debug, Clone, Copy)]
pub struct NewAssignment<'a> {
    /// To whom it is given.
    pub to: To,
    /// What is given.
    pub given: Given<'a>,
    /// What holds for it.
    pub rules: AssignmentRules,
}

#[derive(sqlx::FromRow)]
struct Row {
    id: AssignmentId,
    class: ClassId,
    ladder: LadderId,
    title: String,
    link: String,
    due: Option<i64>,
    hints: u8,
    alone: bool,
    feedback: String,
    staged: bool,
    tries: u8,
    fresh: bool,
    rungs: u16,
    of_student: Option<StudentId>,
}

impl From<Row> for Assignment {
    fn from(row: Row) -> Self {
        let Row { id, class, ladder, title, link, rungs, of_student, .. } = row;
        let feedback = Feedback::named(&row.feedback);
        let Row { due, hints, alone, staged, tries, fresh, .. } = row;
        let rules = AssignmentRules { due, hints, alone, feedback, staged, tries, fresh };
        Self { id, class, ladder, title, link, rules, rungs, of_student }
    }
}

const COLUMNS: &str = "assignment.id, assignment.class, assignment.ladder, ladder.title,
    assignment.link, assignment.due, assignment.hints, assignment.alone, assignment.feedback,
    assignment.staged, assignment.tries, assignment.fresh, ladder.rungs, assignment.of_student";

/// Gives a ladder to a class, both of the same teacher; a ladder or a class that is made for it is kept with it, or none is.
///
/// # Errors
/// [`StoreError::NotFound`] when one of them is not theirs, or the student is not in the class, [`StoreError::Full`] past
/// [`MOST_ASSIGNMENTS`] or where there is no room for the ladder or the class.
pub async fn create(
    db: &Db,
    owner: TeacherId,
    new: NewAssignment<'_>,
) -> Result<AssignmentId, StoreError> {
    let NewAssignment { to, given, rules } = new;
    let mut transaction = db.begin().await?;
    let (class, of_student) = match to {
        To::Class(class) => (Some(class), None),
        To::Student(class, student) => (Some(class), Some(student)),
        To::Link(_) => (None, None),
    };
    if let Some(class) = class {
        room_in(&mut transaction, owner, class, of_student).await?;
    }
    let (ladder, document) = match given {
        Given::Kept(ladder, document) => (ladder, document),
        Given::New(title, ladder, plan) => {
            let plan = Some(plan);
            (ladder::insert(&mut transaction, owner, None, title, ladder, plan).await?, None)
        }
    };
    let sql = "SELECT title FROM ladder WHERE id = ? AND owner = ? FOR UPDATE";
    let query = sqlx::query_scalar(sql).bind(ladder).bind(owner);
    let title: Option<String> = query.fetch_optional(&mut *transaction).await?;
    let title = title.ok_or(StoreError::NotFound)?;
    let class = match to {
        To::Class(class) | To::Student(class, _) => class,
        To::Link(grade) => {
            let title: String = title.chars().take(crate::class::LONGEST_TITLE).collect();
            crate::class::insert(&mut transaction, owner, &title, grade, true).await?
        }
    };
    let sql = "INSERT INTO assignment
                 (class, ladder, document, of_student, link, due, hints, alone, feedback, staged,
                  tries, fresh)
               VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)";
    let query = sqlx::query(sql).bind(class).bind(ladder).bind(document.map(Json));
    let query = query.bind(of_student).bind(link()).bind(rules.due);
    let query = query.bind(rules.hints.min(STRONGEST_HINT)).bind(rules.alone);
    let query = query.bind(rules.feedback.name()).bind(rules.staged);
    let query = query.bind(rules.tries).bind(rules.fresh);
    let id = AssignmentId(query.execute(&mut *transaction).await?.last_insert_id());
    transaction.commit().await?;
    Ok(id)
}

/// Locks a teacher's class to which something is given, to all of it or to one student.
async fn room_in(
    transaction: &mut Transaction<'_, MySql>,
    owner: TeacherId,
    class: ClassId,
    student: Option<StudentId>,
) -> Result<(), StoreError> {
    let sql = "SELECT id FROM class WHERE id = ? AND owner = ? FOR UPDATE";
    let query = sqlx::query_scalar(sql).bind(class).bind(owner);
    let found: Option<ClassId> = query.fetch_optional(&mut **transaction).await?;
    found.ok_or(StoreError::NotFound)?;
    if let Some(student) = student {
        let sql = "SELECT id FROM student WHERE id = ? AND class = ?";
        let query = sqlx::query_scalar(sql).bind(student).bind(class);
        let found: Option<StudentId> = query.fetch_optional(&mut **transaction).await?;
        found.ok_or(StoreError::NotFound)?;
    }
    let sql = "SELECT COUNT(*) FROM assignment WHERE class = ?";
    let count: i64 = sqlx::query_scalar(sql).bind(class).fetch_one(&mut **transaction).await?;
    if count >= MOST_ASSIGNMENTS { Err(StoreError::Full) } else { Ok(()) }
}

/// Changes what holds for an assignment.
///
/// # Errors
/// [`StoreError::NotFound`] when it is not theirs.
pub async fn set(
    db: &Db,
    owner: TeacherId,
    id: AssignmentId,
    rules: AssignmentRules,
) -> Result<(), StoreError> {
    find(db, owner, id).await?;
    let sql = "UPDATE assignment SET due = ?, hints = ?, alone = ?, feedback = ?, staged = ?,
                 tries = ?, fresh = ? WHERE id = ?";
    let query = sqlx::query(sql).bind(rules.due).bind(rules.hints.min(STRONGEST_HINT));
    let query = query.bind(rules.alone).bind(rules.feedback.name()).bind(rules.staged);
    let query = query.bind(rules.tries).bind(rules.fresh);
    query.bind(id).execute(db).await?;
    Ok(())
}

/// Takes an assignment back, with all that was written for it.
///
/// # Errors
/// [`StoreError::NotFound`] when it is not theirs.
pub async fn remove(db: &Db, owner: TeacherId, id: AssignmentId) -> Result<(), StoreError> {
    find(db, owner, id).await?;
    let mut transaction = db.begin().await?;
    for sql in [
        "DELETE desk_rung FROM desk_rung JOIN desk ON desk.id = desk_rung.desk
           WHERE desk.assignment = ?",
        "DELETE FROM desk WHERE assignment = ?",
        "DELETE FROM assignment WHERE id = ?",
    ] {
        sqlx::query(sql).bind(id).execute(&mut *transaction).await?;
    }
    transaction.commit().await?;
    Ok(())
}

/// A teacher's own assignment.
///
/// # Errors
/// [`StoreError::NotFound`] when it is not theirs.
pub async fn find(db: &Db, owner: TeacherId, id: AssignmentId) -> Result<Assignment, StoreError> {
    let sql = format!(
        "SELECT {COLUMNS} FROM assignment JOIN ladder ON ladder.id = assignment.ladder
         JOIN class ON class.id = assignment.class WHERE assignment.id = ? AND class.owner = ?"
    );
    let query = sqlx::query_as(sqlx::AssertSqlSafe(sql)).bind(id).bind(owner);
    let row: Option<Row> = query.fetch_optional(db).await?;
    row.map(Assignment::from).ok_or(StoreError::NotFound)
}

/// The assignments of a class, the latest first.
///
/// # Errors
/// The database does not answer.
pub async fn of_class(db: &Db, class: ClassId) -> Result<Vec<Assignment>, StoreError> {
    let sql = format!(
        "SELECT {COLUMNS} FROM assignment JOIN ladder ON ladder.id = assignment.ladder
         WHERE assignment.class = ? ORDER BY assignment.id DESC"
    );
    let query = sqlx::query_as(sqlx::AssertSqlSafe(sql)).bind(class);
    let rows: Vec<Row> = query.fetch_all(db).await?;
    Ok(rows.into_iter().map(Assignment::from).collect())
}

/// The assignment that a link opens, with its ladder as it holds there.
///
/// # Errors
/// [`StoreError::NotFound`] when it opens none.
pub async fn by_link(db: &Db, link: &str) -> Result<(Assignment, KeptLadder), StoreError> {
    let sql = format!(
        "SELECT {COLUMNS} FROM assignment JOIN ladder ON ladder.id = assignment.ladder
         WHERE assignment.link = ?"
    );
    let query = sqlx::query_as(sqlx::AssertSqlSafe(sql)).bind(link);
    let row: Option<Row> = query.fetch_optional(db).await?;
    let found = row.map(Assignment::from).filter(|found| found.link == link);
    let found = found.ok_or(StoreError::NotFound)?;
    let ladder = ladder(db, &found).await?;
    Ok((found, ladder))
}

/// The ladder of an assignment, as it was given.
///
/// # Errors
/// [`StoreError::NotFound`] when it was taken back.
pub async fn ladder(db: &Db, given: &Assignment) -> Result<KeptLadder, StoreError> {
    let mut kept = ladder::any(db, given.ladder).await?;
    let sql = "SELECT document FROM assignment WHERE id = ?";
    let query = sqlx::query_scalar(sql).bind(given.id);
    let document: Option<Option<Json<Ladder>>> = query.fetch_optional(db).await?;
    if let Some(Json(ladder)) = document.ok_or(StoreError::NotFound)? {
        kept.ladder = ladder;
    }
    (kept.hints, kept.alone) = (given.rules.hints, given.rules.alone);
    Ok(kept)
}

/// The desk of a student for an assignment, which is their latest try; it is set up at the first time.
///
/// # Errors
/// [`StoreError::NotFound`] when the student is not in the class, or it is for somebody else.
pub async fn desk(
    db: &Db,
    assignment: &Assignment,
    student: StudentId,
) -> Result<DeskId, StoreError> {
    if !assignment.is_for(student) {
        return Err(StoreError::NotFound);
    }
    let who = crate::class::student(db, assignment.class, student).await?;
    let sql =
        "SELECT id FROM desk WHERE assignment = ? AND of_student = ? ORDER BY nth DESC LIMIT 1";
    let query = sqlx::query_scalar(sql).bind(assignment.id).bind(student);
    let latest: Option<DeskId> = query.fetch_optional(db).await?;
    if let Some(latest) = latest {
        return Ok(latest);
    }
    let sql = "INSERT INTO desk (ladder, assignment, of_student, student, code)
               VALUES (?, ?, ?, ?, '') ON DUPLICATE KEY UPDATE id = LAST_INSERT_ID(id)";
    let query = sqlx::query(sql).bind(assignment.ladder).bind(assignment.id).bind(student);
    Ok(DeskId(query.bind(who.name).execute(db).await?.last_insert_id()))
}

/// Sets up a student's next try, once the one before was handed in; `ladder` holds its own numbers, where it has any.
/// The same asked twice makes one.
///
/// # Errors
/// [`StoreError::NotFound`] where nothing was handed in yet, [`StoreError::Full`] when there is no further try.
pub async fn again(
    db: &Db,
    assignment: &Assignment,
    after: DeskId,
    ladder: Option<&Ladder>,
) -> Result<DeskId, StoreError> {
    let mut transaction = db.begin().await?;
    type Before = (StudentId, String, u8, Option<i64>);
    let sql = "SELECT of_student, student, nth, handed_in FROM desk
               WHERE id = ? AND assignment = ? AND of_student IS NOT NULL FOR UPDATE";
    let query = sqlx::query_as(sql).bind(after).bind(assignment.id);
    let before: Option<Before> = query.fetch_optional(&mut *transaction).await?;
    let (student, name, nth, handed_in) = before.ok_or(StoreError::NotFound)?;
    handed_in.ok_or(StoreError::NotFound)?;
    if !assignment.rules.allow_after(nth) {
        return Err(StoreError::Full);
    }
    let sql = "INSERT INTO desk (ladder, assignment, of_student, student, code, nth, document)
               VALUES (?, ?, ?, ?, '', ?, ?) ON DUPLICATE KEY UPDATE id = LAST_INSERT_ID(id)";
    let query = sqlx::query(sql).bind(assignment.ladder).bind(assignment.id).bind(student);
    let query = query.bind(name).bind(nth + 1).bind(ladder.map(Json));
    let id = DeskId(query.execute(&mut *transaction).await?.last_insert_id());
    transaction.commit().await?;
    Ok(id)
}

/// Which try a desk is, and the ladder with its own numbers, where it has any.
///
/// # Errors
/// [`StoreError::NotFound`] when there is no such desk.
pub async fn of_try(db: &Db, desk: DeskId) -> Result<(u8, Option<Ladder>), StoreError> {
    let sql = "SELECT nth, document FROM desk WHERE id = ?";
    let found: Option<(u8, Option<Json<Ladder>>)> =
        sqlx::query_as(sql).bind(desk).fetch_optional(db).await?;
    let (nth, document) = found.ok_or(StoreError::NotFound)?;
    Ok((nth, document.map(|Json(ladder)| ladder)))
}

/// How far a desk has come.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Default, sqlx::FromRow)]
pub struct Progress {
    /// When it was handed in, as Unix time in seconds.
    pub handed_in: Option<i64>,
    /// When it was given back.
    pub given_back: Option<i64>,
}

/// How far a desk has come.
///
/// # Errors
/// [`StoreError::NotFound`] when there is no such desk.
pub async fn progress(db: &Db, desk: DeskId) -> Result<Progress, StoreError> {
    let sql = "SELECT handed_in, given_back FROM desk WHERE id = ?";
    sqlx::query_as(sql).bind(desk).fetch_optional(db).await?.ok_or(StoreError::NotFound)
}

/// What a student has begun of an assignment.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub struct Begun {
    /// How far it has come.
    pub progress: Progress,
    /// Rungs on which something stands.
    pub written: usize,
    /// Rungs that are finished.
    pub finished: usize,
    /// Which try it is.
    pub nth: u8,
}

/// What a student has begun of an assignment, in their latest try; nothing before they opened it.
///
/// # Errors
/// The database does not answer.
pub async fn begun(
    db: &Db,
    id: AssignmentId,
    student: StudentId,
) -> Result<Option<Begun>, StoreError> {
    let sql = "SELECT desk.handed_in, desk.given_back, desk.nth, COUNT(desk_rung.rung),
                 COUNT(IF(JSON_VALUE(desk_rung.judgement, '$.finished') IN ('1', 'true'), 1, NULL))
               FROM desk LEFT JOIN desk_rung ON desk_rung.desk = desk.id
               WHERE desk.assignment = ? AND desk.of_student = ?
               GROUP BY desk.id ORDER BY desk.nth DESC LIMIT 1";
    let query = sqlx::query_as(sql).bind(id).bind(student);
    type Row = (Option<i64>, Option<i64>, u8, i64, i64);
    let row: Option<Row> = query.fetch_optional(db).await?;
    Ok(row.map(|(handed_in, given_back, nth, written, finished)| Begun {
        progress: Progress { handed_in, given_back },
        written: usize::try_from(written).unwrap_or_default(),
        finished: usize::try_from(finished).unwrap_or_default(),
        nth,
    }))
}

/// Hands a desk in at `now`; once more changes nothing.
///
/// # Errors
/// The database does not answer.
pub async fn hand_in(db: &Db, desk: DeskId, now: i64) -> Result<(), StoreError> {
    let sql = "UPDATE desk SET handed_in = COALESCE(handed_in, ?) WHERE id = ?";
    sqlx::query(sql).bind(now).bind(desk).execute(db).await?;
    Ok(())
}

/// Gives desks of a teacher's assignment back at `now`: those that are named, or all that were handed in.
///
/// # Errors
/// [`StoreError::NotFound`] when the assignment is not theirs.
pub async fn give_back(
    db: &Db,
    owner: TeacherId,
    id: AssignmentId,
    desk: Option<DeskId>,
    now: i64,
) -> Result<u64, StoreError> {
    find(db, owner, id).await?;
    let sql = "UPDATE desk SET given_back = ?
               WHERE assignment = ? AND handed_in IS NOT NULL AND (? IS NULL OR id = ?)";
    let query = sqlx::query(sql).bind(now).bind(id).bind(desk).bind(desk);
    Ok(query.execute(db).await?.rows_affected())
}

/// Lets a student write on: what was handed in is open again.
///
/// # Errors
/// [`StoreError::NotFound`] when there is no such desk at an assignment of theirs.
pub async fn open_again(
    db: &Db,
    owner: TeacherId,
    id: AssignmentId,
    desk: DeskId,
) -> Result<(), StoreError> {
    find(db, owner, id).await?;
    let sql = "UPDATE desk SET handed_in = NULL, given_back = NULL WHERE id = ? AND assignment = ?";
    let done = sqlx::query(sql).bind(desk).bind(id).execute(db).await?;
    if done.rows_affected() == 0 { Err(StoreError::NotFound) } else { Ok(()) }
}

/// What a teacher says of a rung on a desk.
#[derive(Debug, Clone, PartialEq, Eq, Default, sqlx::FromRow)]
pub struct Remark {
    /// The desk.
    pub desk: DeskId,
    /// The rung's number.
    pub rung: u16,
    /// `right`, `partly` or `again`.
    pub mark: Option<String>,
    /// In words.
    pub remark: Option<String>,
}

/// Keeps what a teacher says of a rung.
///
/// # Errors
/// [`StoreError::NotFound`] when nothing stands on that rung at an assignment of theirs.
pub async fn say(
    db: &Db,
    owner: TeacherId,
    id: AssignmentId,
    new: &Remark,
) -> Result<(), StoreError> {
    find(db, owner, id).await?;
    let mut transaction = db.begin().await?;
    let sql = "SELECT desk_rung.rung FROM desk_rung JOIN desk ON desk.id = desk_rung.desk
               WHERE desk.id = ? AND desk.assignment = ? AND desk_rung.rung = ? FOR UPDATE";
    let query = sqlx::query_scalar(sql).bind(new.desk).bind(id).bind(new.rung);
    let found: Option<u16> = query.fetch_optional(&mut *transaction).await?;
    found.ok_or(StoreError::NotFound)?;
    // What is said of a rung is no change of its lines.
    let sql = "UPDATE desk_rung SET mark = ?, remark = ?, updated_at = updated_at
               WHERE desk = ? AND rung = ?";
    let query = sqlx::query(sql).bind(&new.mark).bind(&new.remark).bind(new.desk).bind(new.rung);
    query.execute(&mut *transaction).await?;
    transaction.commit().await?;
    Ok(())
}

/// What was said of the rungs of a desk.
///
/// # Errors
/// The database does not answer.
pub async fn remarks(db: &Db, desk: DeskId) -> Result<Vec<Remark>, StoreError> {
    let sql = "SELECT desk, rung, mark, remark FROM desk_rung
               WHERE desk = ? AND (mark IS NOT NULL OR remark IS NOT NULL) ORDER BY rung";
    Ok(sqlx::query_as(sql).bind(desk).fetch_all(db).await?)
}
