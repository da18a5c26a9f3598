//! Assignments: a ladder given to a class, and the desks of its students.

use crate::desk::Desk;
use crate::ladder::{KeptLadder, STRONGEST_HINT};
use crate::{AssignmentId, ClassId, Db, DeskId, LadderId, StoreError, StudentId, TeacherId, link};

/// Most assignments of one class.
pub const MOST_ASSIGNMENTS: i64 = 400;

/// When students see what is said of their lines.
#[derive(
    Debug, Clone, Copy, PartialEq, Eq, serde::Serialize, serde::Deserialize, utoipa::ToSchema,
)]
#[serde(rename_all = "snake_case")]
pub enum Feedback {
    /// At once.
    AtOnce,
    /// When it is given back.
    GivenBack,
}

impl Feedback {
    const fn name(self) -> &'static str {
        match self {
            Self::AtOnce => "at_once",
            Self::GivenBack => "given_back",
        }
    }

    fn named(name: &str) -> Self {
        if name == "given_back" { Self::GivenBack } else { Self::AtOnce }
    }
}

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
}

type Row =
    (AssignmentId, ClassId, LadderId, String, String, Option<i64>, u8, bool, String, bool, u16);

fn assignment(row: Row) -> Assignment {
    let (id, class, ladder, title, link, due, hints, alone, feedback, staged, rungs) = row;
    let feedback = Feedback::named(&feedback);
    let rules = AssignmentRules { due, hints, alone, feedback, staged };
    Assignment { id, class, ladder, title, link, rules, rungs }
}

const COLUMNS: &str = "assignment.id, assignment.class, assignment.ladder, ladder.title,
    assignment.link, assignment.due, assignment.hints, assignment.alone, assignment.feedback,
    assignment.staged, ladder.rungs";

/// Gives a ladder to a class, both of the same teacher.
///
/// # Errors
/// [`StoreError::NotFound`] when one of them is not theirs, [`StoreError::Full`] past [`MOST_ASSIGNMENTS`].
pub async fn create(
    db: &Db,
    owner: TeacherId,
    class: ClassId,
    ladder: LadderId,
    rules: AssignmentRules,
) -> Result<AssignmentId, StoreError> {
    let mut transaction = db.begin().await?;
    let sql = "SELECT class.id FROM class JOIN ladder ON ladder.owner = class.owner
               WHERE class.id = ? AND class.owner = ? AND ladder.id = ? FOR UPDATE";
    let query = sqlx::query_scalar(sql).bind(class).bind(owner).bind(ladder);
    let found: Option<ClassId> = query.fetch_optional(&mut *transaction).await?;
    found.ok_or(StoreError::NotFound)?;
    let sql = "SELECT COUNT(*) FROM assignment WHERE class = ?";
    let count: i64 = sqlx::query_scalar(sql).bind(class).fetch_one(&mut *transaction).await?;
    if count >= MOST_ASSIGNMENTS {
        return Err(StoreError::Full);
    }
    let sql = "INSERT INTO assignment (class, ladder, link, due, hints, alone, feedback, staged)
               VALUES (?, ?, ?, ?, ?, ?, ?, ?)";
    let query = sqlx::query(sql).bind(class).bind(ladder).bind(link()).bind(rules.due);
    let query = query.bind(rules.hints.min(STRONGEST_HINT)).bind(rules.alone);
    let query = query.bind(rules.feedback.name()).bind(rules.staged);
    let id = AssignmentId(query.execute(&mut *transaction).await?.last_insert_id());
    transaction.commit().await?;
    Ok(id)
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
    let sql = "UPDATE assignment SET due = ?, hints = ?, alone = ?, feedback = ?, staged = ?
               WHERE id = ?";
    let query = sqlx::query(sql).bind(rules.due).bind(rules.hints.min(STRONGEST_HINT));
    let query = query.bind(rules.alone).bind(rules.feedback.name()).bind(rules.staged);
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
    row.map(assignment).ok_or(StoreError::NotFound)
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
    Ok(rows.into_iter().map(assignment).collect())
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
    let found = row.map(assignment).filter(|found| found.link == link);
    let found = found.ok_or(StoreError::NotFound)?;
    let mut ladder = crate::ladder::any(db, found.ladder).await?;
    (ladder.hints, ladder.alone) = (found.rules.hints, found.rules.alone);
    Ok((found, ladder))
}

/// The desk of a student for an assignment; it is set up at the first time.
///
/// # Errors
/// [`StoreError::NotFound`] when the student is not in the class.
pub async fn desk(
    db: &Db,
    assignment: &Assignment,
    student: StudentId,
) -> Result<DeskId, StoreError> {
    let who = crate::class::student(db, assignment.class, student).await?;
    let sql = "INSERT INTO desk (ladder, assignment, of_student, student, code)
               VALUES (?, ?, ?, ?, '') ON DUPLICATE KEY UPDATE id = LAST_INSERT_ID(id)";
    let query = sqlx::query(sql).bind(assignment.ladder).bind(assignment.id).bind(student);
    Ok(DeskId(query.bind(who.name).execute(db).await?.last_insert_id()))
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
}

/// What a student has begun of an assignment; nothing before they opened it.
///
/// # Errors
/// The database does not answer.
pub async fn begun(
    db: &Db,
    id: AssignmentId,
    student: StudentId,
) -> Result<Option<Begun>, StoreError> {
    let sql = "SELECT desk.handed_in, desk.given_back, COUNT(desk_rung.rung),
                 COUNT(IF(JSON_VALUE(desk_rung.judgement, '$.finished') IN ('1', 'true'), 1, NULL))
               FROM desk LEFT JOIN desk_rung ON desk_rung.desk = desk.id
               WHERE desk.assignment = ? AND desk.of_student = ? GROUP BY desk.id";
    let query = sqlx::query_as(sql).bind(id).bind(student);
    let row: Option<(Option<i64>, Option<i64>, i64, i64)> = query.fetch_optional(db).await?;
    Ok(row.map(|(handed_in, given_back, written, finished)| Begun {
        progress: Progress { handed_in, given_back },
        written: usize::try_from(written).unwrap_or_default(),
        finished: usize::try_from(finished).unwrap_or_default(),
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

/// A student's work for an assignment.
#[derive(Debug, Clone, PartialEq)]
pub struct Work {
    /// The student.
    pub student: StudentId,
    /// Their desk with all that is on it; none before they opened it.
    pub desk: Option<Desk>,
    /// Their name.
    pub name: String,
    /// How far it has come.
    pub progress: Progress,
    /// What was said of it.
    pub remarks: Vec<Remark>,
}

/// The work of every student of the class for an assignment, by name.
///
/// # Errors
/// [`StoreError::NotFound`] when it is not theirs.
pub async fn work(db: &Db, owner: TeacherId, id: AssignmentId) -> Result<Vec<Work>, StoreError> {
    let found = find(db, owner, id).await?;
    let students = crate::class::students(db, owner, found.class).await?;
    type Sitting = (DeskId, StudentId, Option<i64>, Option<i64>);
    let sql = "SELECT id, of_student, handed_in, given_back FROM desk
               WHERE assignment = ? AND of_student IS NOT NULL";
    let desks: Vec<Sitting> = sqlx::query_as(sql).bind(id).fetch_all(db).await?;
    let mut all = Vec::new();
    for student in students {
        let sitting = desks.iter().find(|(_, of, ..)| *of == student.id);
        // A student who left is shown with what was written before.
        if student.hidden && sitting.is_none() {
            continue;
        }
        let (desk, progress, remarks) = match sitting {
            Some(&(desk, _, handed_in, given_back)) => (
                Some(crate::desk::find(db, found.ladder, desk).await?),
                Progress { handed_in, given_back },
                remarks(db, desk).await?,
            ),
            None => (None, Progress::default(), Vec::new()),
        };
        all.push(Work { student: student.id, desk, name: student.name, progress, remarks });
    }
    Ok(all)
}
