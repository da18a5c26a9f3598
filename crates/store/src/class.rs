//! Classes: their students, each with a first name and a code, and nothing else.

use crate::database::random_signs;
use crate::{AssignmentId, ClassId, Db, DeskId, StoreError, StudentId, TeacherId, link, teacher};
use roster::MOST_STUDENTS;
use serde_json::Value;
use sqlx::types::Json;
use sqlx::{MySql, Transaction};
use std::collections::BTreeMap;

/// Most classes of one teacher.
pub const MOST_CLASSES: i64 = 120;
/// Longest title of a class, in characters.
pub const LONGEST_TITLE: usize = 80;
/// Signs of a student's code.
const CODE: usize = 5;

/// The method of each skill, where it is not the usual one: their ids.
pub type Methods = BTreeMap<String, String>;

/// A class.
#[derive(Debug, Clone, PartialEq, Eq)]
pub struct Class {
    /// Its id.
    pub id: ClassId,
    /// What it is called.
    pub title: String,
    /// Its grade; kindergarten is 0.
    pub grade: u8,
    /// Its methods.
    pub methods: Methods,
    /// Opens the page of its students.
    pub link: String,
    /// Work that was not touched for so many days goes.
    pub keep_days: u16,
    /// Whether whoever has a link to it may add themselves.
    pub is_open: bool,
    /// How many students are in it.
    pub students: i64,
}

type Row = (ClassId, String, u8, Json<Methods>, String, u16, bool, i64);

fn class((id, title, grade, Json(methods), link, keep_days, is_open, students): Row) -> Class {
    Class { id, title, grade, methods, link, keep_days, is_open, students }
}

/// A student of a class.
#[derive(Debug, Clone, PartialEq, Eq, sqlx::FromRow)]
pub struct Student {
    /// Their id.
    pub id: StudentId,
    /// Their first name.
    pub name: String,
    /// Brings the same desk back on any device.
    pub code: String,
    /// Whether they have left the class; the work stays.
    pub hidden: bool,
}

/// What of a class can be changed.
#[derive(Debug, Clone, PartialEq, Eq)]
pub struct ClassSettings {
    /// What it is called.
    pub title: String,
    /// Its grade.
    pub grade: u8,
    /// Its methods.
    pub methods: Methods,
    /// Work that was not touched for so many days goes.
    pub keep_days: u16,
    /// Whether whoever has a link to it may add themselves.
    pub is_open: bool,
}

/// Makes a class.
///
/// # Errors
/// [`StoreError::Full`] past [`MOST_CLASSES`].
pub async fn create(
    db: &Db,
    owner: TeacherId,
    title: &str,
    grade: u8,
) -> Result<ClassId, StoreError> {
    let mut transaction = db.begin().await?;
    let id = insert(&mut transaction, owner, title, grade, false).await?;
    transaction.commit().await?;
    Ok(id)
}

pub(crate) async fn insert(
    transaction: &mut Transaction<'_, MySql>,
    owner: TeacherId,
    title: &str,
    grade: u8,
    is_open: bool,
) -> Result<ClassId, StoreError> {
    teacher::lock(transaction, owner).await?;
    let sql = "SELECT COUNT(*) FROM class WHERE owner = ?";
    let count: i64 = sqlx::query_scalar(sql).bind(owner).fetch_one(&mut **transaction).await?;
    if count >= MOST_CLASSES {
        return Err(StoreError::Full);
    }
    let sql = "INSERT INTO class (owner, title, grade, methods, link, is_open)
               VALUES (?, ?, ?, '{}', ?, ?)";
    let query = sqlx::query(sql).bind(owner).bind(title).bind(grade).bind(link()).bind(is_open);
    Ok(ClassId(query.execute(&mut **transaction).await?.last_insert_id()))
}

const COLUMNS: &str =
    "class.id, class.title, class.grade, class.methods, class.link, class.keep_days,
    class.is_open, (SELECT COUNT(*) FROM student WHERE student.class = class.id AND NOT student.hidden)";

/// A teacher's classes, by grade and title.
///
/// # Errors
/// The database does not answer.
pub async fn of_teacher(db: &Db, owner: TeacherId) -> Result<Vec<Class>, StoreError> {
    let sql = format!("SELECT {COLUMNS} FROM class WHERE owner = ? ORDER BY grade, title, id");
    let rows: Vec<Row> = sqlx::query_as(sqlx::AssertSqlSafe(sql)).bind(owner).fetch_all(db).await?;
    Ok(rows.into_iter().map(class).collect())
}

/// A teacher's own class.
///
/// # Errors
/// [`StoreError::NotFound`] when it is not theirs.
pub async fn find(db: &Db, owner: TeacherId, id: ClassId) -> Result<Class, StoreError> {
    let sql = format!("SELECT {COLUMNS} FROM class WHERE id = ? AND owner = ?");
    let query = sqlx::query_as(sqlx::AssertSqlSafe(sql)).bind(id).bind(owner);
    let row: Option<Row> = query.fetch_optional(db).await?;
    row.map(class).ok_or(StoreError::NotFound)
}

/// The class whose students' page a link opens.
///
/// # Errors
/// [`StoreError::NotFound`] when it opens none.
pub async fn by_link(db: &Db, link: &str) -> Result<Class, StoreError> {
    let sql = format!("SELECT {COLUMNS} FROM class WHERE link = ?");
    let query = sqlx::query_as(sqlx::AssertSqlSafe(sql)).bind(link);
    let row: Option<Row> = query.fetch_optional(db).await?;
    row.map(class).filter(|class| class.link == link).ok_or(StoreError::NotFound)
}

/// A class, whosever it is: for whoever was let in by another way.
///
/// # Errors
/// [`StoreError::NotFound`] when there is none.
pub async fn any(db: &Db, id: ClassId) -> Result<Class, StoreError> {
    let sql = format!("SELECT {COLUMNS} FROM class WHERE id = ?");
    let row: Option<Row> =
        sqlx::query_as(sqlx::AssertSqlSafe(sql)).bind(id).fetch_optional(db).await?;
    row.map(class).ok_or(StoreError::NotFound)
}

/// The link of the page of a class.
///
/// # Errors
/// [`StoreError::NotFound`] when there is no such class.
pub async fn page_of(db: &Db, id: ClassId) -> Result<String, StoreError> {
    let sql = "SELECT link FROM class WHERE id = ?";
    sqlx::query_scalar(sql).bind(id).fetch_optional(db).await?.ok_or(StoreError::NotFound)
}

async fn lock(
    transaction: &mut Transaction<'_, MySql>,
    owner: TeacherId,
    id: ClassId,
) -> Result<(), StoreError> {
    let sql = "SELECT id FROM class WHERE id = ? AND owner = ? FOR UPDATE";
    let query = sqlx::query_scalar(sql).bind(id).bind(owner);
    let found: Option<ClassId> = query.fetch_optional(&mut **transaction).await?;
    found.map(|_| ()).ok_or(StoreError::NotFound)
}

/// Changes what a class is called, its grade, its methods, and how long work is kept.
///
/// # Errors
/// [`StoreError::NotFound`] when it is not theirs.
pub async fn set(
    db: &Db,
    owner: TeacherId,
    id: ClassId,
    new: &ClassSettings,
) -> Result<(), StoreError> {
    let mut transaction = db.begin().await?;
    lock(&mut transaction, owner, id).await?;
    let sql = "UPDATE class SET title = ?, grade = ?, methods = ?, keep_days = ?, is_open = ?
               WHERE id = ?";
    let query = sqlx::query(sql).bind(&new.title).bind(new.grade).bind(Json(&new.methods));
    query.bind(new.keep_days).bind(new.is_open).bind(id).execute(&mut *transaction).await?;
    transaction.commit().await?;
    Ok(())
}

/// Takes a class away with its students and all that they wrote for it.
///
/// # Errors
/// [`StoreError::NotFound`] when it is not theirs.
pub async fn remove(db: &Db, owner: TeacherId, id: ClassId) -> Result<(), StoreError> {
    let mut transaction = db.begin().await?;
    lock(&mut transaction, owner, id).await?;
    for sql in [
        "DELETE desk_rung FROM desk_rung JOIN desk ON desk.id = desk_rung.desk
           JOIN assignment ON assignment.id = desk.assignment WHERE assignment.class = ?",
        "DELETE desk FROM desk JOIN assignment ON assignment.id = desk.assignment
           WHERE assignment.class = ?",
        "DELETE FROM assignment WHERE class = ?",
        "DELETE live_event FROM live_event JOIN live_lesson ON live_lesson.id = live_event.live
           WHERE live_lesson.class = ?",
        "DELETE FROM live_lesson WHERE class = ?",
        "DELETE FROM student WHERE class = ?",
        "DELETE FROM class WHERE id = ?",
    ] {
        sqlx::query(sql).bind(id).execute(&mut *transaction).await?;
    }
    transaction.commit().await?;
    Ok(())
}

/// The students of a teacher's class, by name.
///
/// # Errors
/// [`StoreError::NotFound`] when it is not theirs.
pub async fn students(db: &Db, owner: TeacherId, id: ClassId) -> Result<Vec<Student>, StoreError> {
    find(db, owner, id).await?;
    let sql = "SELECT id, name, code, hidden FROM student WHERE class = ? ORDER BY name, id";
    Ok(sqlx::query_as(sql).bind(id).fetch_all(db).await?)
}

/// Takes students into a class, each with a code of their own: all of them or none.
///
/// # Errors
/// [`StoreError::Taken`] when a name is in the class already or stands there twice, [`StoreError::Full`] past
/// [`MOST_STUDENTS`].
pub async fn take_in(
    db: &Db,
    owner: TeacherId,
    id: ClassId,
    names: &[String],
) -> Result<(), StoreError> {
    let mut transaction = db.begin().await?;
    lock(&mut transaction, owner, id).await?;
    room_for(&mut transaction, id, names.len()).await?;
    for name in names {
        add(&mut transaction, id, name).await?;
    }
    transaction.commit().await?;
    Ok(())
}

async fn room_for(
    transaction: &mut Transaction<'_, MySql>,
    id: ClassId,
    more: usize,
) -> Result<(), StoreError> {
    let sql = "SELECT COUNT(*) FROM student WHERE class = ?";
    let count: i64 = sqlx::query_scalar(sql).bind(id).fetch_one(&mut **transaction).await?;
    let fits = usize::try_from(count).is_ok_and(|count| count + more <= MOST_STUDENTS);
    if fits { Ok(()) } else { Err(StoreError::Full) }
}

async fn add(
    transaction: &mut Transaction<'_, MySql>,
    id: ClassId,
    name: &str,
) -> Result<StudentId, StoreError> {
    // Two codes of one class hardly ever meet.
    for _ in 0..4 {
        let sql = "INSERT INTO student (class, name, code) VALUES (?, ?, ?)";
        let query = sqlx::query(sql).bind(id).bind(name).bind(random_signs(CODE));
        match query.execute(&mut **transaction).await {
            Ok(done) => return Ok(StudentId(done.last_insert_id())),
            Err(sqlx::Error::Database(error)) if error.is_unique_violation() => {}
            Err(error) => return Err(error.into()),
        }
    }
    Err(StoreError::Taken)
}

/// Adds somebody to an open class under the name that they give.
///
/// # Errors
/// [`StoreError::NotFound`] when the class is not open, [`StoreError::Taken`] when somebody in it has that name,
/// [`StoreError::Full`] past [`MOST_STUDENTS`].
pub async fn join(db: &Db, id: ClassId, name: &str) -> Result<StudentId, StoreError> {
    let mut transaction = db.begin().await?;
    let sql = "SELECT id FROM class WHERE id = ? AND is_open FOR UPDATE";
    let query = sqlx::query_scalar(sql).bind(id);
    let found: Option<ClassId> = query.fetch_optional(&mut *transaction).await?;
    found.ok_or(StoreError::NotFound)?;
    room_for(&mut transaction, id, 1).await?;
    let student = add(&mut transaction, id, name).await?;
    transaction.commit().await?;
    Ok(student)
}

/// Names a student anew, hides one, or shows one again.
///
/// # Errors
/// [`StoreError::NotFound`] when there is no such student in a class of theirs, [`StoreError::Taken`] when another one
/// has that name.
pub async fn set_student(
    db: &Db,
    owner: TeacherId,
    class: ClassId,
    student: StudentId,
    name: &str,
    hidden: bool,
) -> Result<(), StoreError> {
    let mut transaction = db.begin().await?;
    lock(&mut transaction, owner, class).await?;
    in_class(&mut transaction, class, student).await?;
    let sql = "UPDATE student SET name = ?, hidden = ? WHERE id = ?";
    let done =
        sqlx::query(sql).bind(name).bind(hidden).bind(student).execute(&mut *transaction).await;
    match done {
        Ok(_) => {}
        Err(sqlx::Error::Database(error)) if error.is_unique_violation() => {
            return Err(StoreError::Taken);
        }
        Err(error) => return Err(error.into()),
    }
    let sql = "UPDATE desk SET student = ? WHERE of_student = ?";
    sqlx::query(sql).bind(name).bind(student).execute(&mut *transaction).await?;
    transaction.commit().await?;
    Ok(())
}

async fn in_class(
    transaction: &mut Transaction<'_, MySql>,
    class: ClassId,
    student: StudentId,
) -> Result<(), StoreError> {
    let sql = "SELECT id FROM student WHERE id = ? AND class = ?";
    let query = sqlx::query_scalar(sql).bind(student).bind(class);
    let found: Option<StudentId> = query.fetch_optional(&mut **transaction).await?;
    found.map(|_| ()).ok_or(StoreError::NotFound)
}

/// Gives a student a new code: the old one opens nothing any more.
///
/// # Errors
/// [`StoreError::NotFound`] when there is no such student in a class of theirs.
pub async fn renew_code(
    db: &Db,
    owner: TeacherId,
    class: ClassId,
    student: StudentId,
) -> Result<(), StoreError> {
    let mut transaction = db.begin().await?;
    lock(&mut transaction, owner, class).await?;
    in_class(&mut transaction, class, student).await?;
    let sql = "UPDATE student SET code = ? WHERE id = ?";
    sqlx::query(sql).bind(random_signs(CODE)).bind(student).execute(&mut *transaction).await?;
    transaction.commit().await?;
    Ok(())
}

/// Puts two names together that are one student: what `other` wrote goes over to `student`, but for assignments that both
/// have; then `other` goes.
///
/// # Errors
/// [`StoreError::NotFound`] when one of them is not in that class of theirs.
pub async fn merge(
    db: &Db,
    owner: TeacherId,
    class: ClassId,
    student: StudentId,
    other: StudentId,
) -> Result<(), StoreError> {
    if student == other {
        return Err(StoreError::NotFound);
    }
    let mut transaction = db.begin().await?;
    lock(&mut transaction, owner, class).await?;
    in_class(&mut transaction, class, student).await?;
    in_class(&mut transaction, class, other).await?;
    let sql = "UPDATE desk JOIN student ON student.id = ? SET desk.of_student = student.id,
                 desk.student = student.name
               WHERE desk.of_student = ? AND desk.assignment NOT IN
                 (SELECT assignment FROM (SELECT assignment FROM desk WHERE of_student = ?) AS had)";
    let query = sqlx::query(sql).bind(student).bind(other).bind(student);
    query.execute(&mut *transaction).await?;
    // Of a live lesson in which both were, each keeps what they did.
    let sql = "UPDATE live_event SET student = ? WHERE student = ? AND live NOT IN
                 (SELECT live FROM (SELECT live FROM live_event WHERE student = ?) AS had)";
    let query = sqlx::query(sql).bind(student).bind(other).bind(student);
    query.execute(&mut *transaction).await?;
    remove_with_work(&mut transaction, other).await?;
    transaction.commit().await?;
    Ok(())
}

/// Takes a student away with all that they wrote, at once and for good.
///
/// # Errors
/// [`StoreError::NotFound`] when there is no such student in a class of theirs.
pub async fn remove_student(
    db: &Db,
    owner: TeacherId,
    class: ClassId,
    student: StudentId,
) -> Result<(), StoreError> {
    let mut transaction = db.begin().await?;
    lock(&mut transaction, owner, class).await?;
    in_class(&mut transaction, class, student).await?;
    remove_with_work(&mut transaction, student).await?;
    transaction.commit().await?;
    Ok(())
}

async fn remove_with_work(
    transaction: &mut Transaction<'_, MySql>,
    student: StudentId,
) -> Result<(), StoreError> {
    for sql in [
        "DELETE desk_rung FROM desk_rung JOIN desk ON desk.id = desk_rung.desk
           WHERE desk.of_student = ?",
        "DELETE FROM desk WHERE of_student = ?",
        "DELETE FROM live_event WHERE student = ?",
        "DELETE FROM student WHERE id = ?",
    ] {
        sqlx::query(sql).bind(student).execute(&mut **transaction).await?;
    }
    Ok(())
}

/// All that is stored of a student, as one document.
///
/// # Errors
/// [`StoreError::NotFound`] when there is no such student in a class of theirs.
pub async fn stored_of(
    db: &Db,
    owner: TeacherId,
    class: ClassId,
    student: StudentId,
) -> Result<Value, StoreError> {
    let found = find(db, owner, class).await?;
    let all = students(db, owner, class).await?;
    let who = all.into_iter().find(|one| one.id == student).ok_or(StoreError::NotFound)?;
    let sql = "SELECT desk.assignment, ladder.title, desk_rung.rung, desk_rung.written,
                 desk_rung.answer, desk_rung.mark, desk_rung.remark
               FROM desk_rung JOIN desk ON desk.id = desk_rung.desk
               JOIN ladder ON ladder.id = desk.ladder
               WHERE desk.of_student = ? ORDER BY desk.id, desk_rung.rung";
    type Work = (
        AssignmentId,
        String,
        u16,
        Json<Value>,
        Option<Json<Value>>,
        Option<String>,
        Option<String>,
    );
    let work: Vec<Work> = sqlx::query_as(sql).bind(student).fetch_all(db).await?;
    let work: Vec<Value> = work
        .into_iter()
        .map(|(assignment, ladder, rung, Json(lines), answer, mark, remark)| {
            serde_json::json!({
                "assignment": assignment, "ladder": ladder, "rung": rung, "lines": lines,
                "answer": answer.map(|Json(answer)| answer), "mark": mark, "remark": remark,
            })
        })
        .collect();
    let sql = "SELECT live_event.at, live_event.event FROM live_event WHERE student = ?
               ORDER BY live_event.live, live_event.seq";
    let live: Vec<(i64, Json<Value>)> = sqlx::query_as(sql).bind(student).fetch_all(db).await?;
    let live: Vec<Value> = live
        .into_iter()
        .map(|(at, Json(event))| serde_json::json!({ "at": at, "event": event }))
        .collect();
    Ok(serde_json::json!({
        "class": found.title, "name": who.name, "code": who.code, "work": work, "live": live,
    }))
}

/// The student of a class who has that code and is not hidden.
///
/// # Errors
/// [`StoreError::NotFound`] when nobody has.
pub async fn by_code(db: &Db, class: ClassId, code: &str) -> Result<Student, StoreError> {
    let sql = "SELECT id, name, code, hidden FROM student
               WHERE class = ? AND code = ? AND NOT hidden";
    let query = sqlx::query_as(sql).bind(class).bind(code.trim().to_lowercase());
    query.fetch_optional(db).await?.ok_or(StoreError::NotFound)
}

/// A student of a class, while they are in it.
///
/// # Errors
/// [`StoreError::NotFound`] when they are not, or hidden.
pub async fn student(db: &Db, class: ClassId, id: StudentId) -> Result<Student, StoreError> {
    let sql = "SELECT id, name, code, hidden FROM student
               WHERE class = ? AND id = ? AND NOT hidden";
    sqlx::query_as(sql).bind(class).bind(id).fetch_optional(db).await?.ok_or(StoreError::NotFound)
}

/// The code of the student of a class whose desk it is.
///
/// # Errors
/// [`StoreError::NotFound`] when there is no such desk of a student of that class.
pub async fn code_of(db: &Db, class: ClassId, desk: DeskId) -> Result<String, StoreError> {
    let sql = "SELECT student.code FROM student JOIN desk ON desk.of_student = student.id
               WHERE desk.id = ? AND student.class = ?";
    let query = sqlx::query_scalar(sql).bind(desk).bind(class);
    query.fetch_optional(db).await?.ok_or(StoreError::NotFound)
}

/// Takes out what students of classes wrote and did not touch for longer than their class keeps it.
///
/// # Errors
/// The database does not answer.
pub async fn sweep(db: &Db) -> Result<u64, StoreError> {
    let sql = "DELETE desk_rung FROM desk_rung JOIN desk ON desk.id = desk_rung.desk
               JOIN assignment ON assignment.id = desk.assignment
               JOIN class ON class.id = assignment.class
               WHERE desk_rung.updated_at < NOW() - INTERVAL class.keep_days DAY";
    let swept = sqlx::query(sql).execute(db).await?.rows_affected();
    let sql = "DELETE live_event FROM live_event
               JOIN live_lesson ON live_lesson.id = live_event.live
               JOIN class ON class.id = live_lesson.class
               WHERE live_event.student IS NOT NULL
                 AND live_event.at < (UNIX_TIMESTAMP() - class.keep_days * 86400) * 1000";
    Ok(swept + sqlx::query(sql).execute(db).await?.rows_affected())
}
