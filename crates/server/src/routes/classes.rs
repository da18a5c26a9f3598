//! A teacher's classes and their students.

use crate::app::App;
use crate::error::{ApiError, Failure};
use crate::extract::{Body, Path, Whole};
use crate::session::SignedIn;
use crate::text::is_visible;
use axum::Json;
use axum::extract::State;
use axum::http::header::{CONTENT_DISPOSITION, CONTENT_TYPE};
use axum::http::{HeaderMap, StatusCode};
use axum::response::{IntoResponse, Response};
use serde::{Deserialize, Serialize};
use store::assignment::{Assignment, AssignmentRules};
use store::class::{self, Class, ClassSettings, LONGEST_TITLE, Methods, Student};
use store::{AssignmentId, ClassId, LadderId, StoreError, StudentId};
use utoipa::ToSchema;
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

pub(crate) fn router() -> OpenApiRouter<App> {
    OpenApiRouter::new()
        .routes(routes!(list_classes, make_class))
        .routes(routes!(open_class, change_class, remove_class))
        .routes(routes!(read_roster))
        .routes(routes!(take_in_students))
        .routes(routes!(change_student, remove_student))
        .routes(routes!(card_of_student))
        .routes(routes!(renew_student_code))
        .routes(routes!(merge_students))
        .routes(routes!(stored_of_student))
}

/// The highest grade of a class.
const HIGHEST_GRADE: u8 = 13;
/// How long work may be kept, in days.
const KEEP_DAYS: std::ops::RangeInclusive<u16> = 7..=1_500;

/// A class as it stands in the list.
#[derive(Serialize, ToSchema)]
struct ClassEntry {
    id: ClassId,
    title: String,
    grade: u8,
    students: i64,
    /// The method of each skill, where it is not the usual one: their ids.
    #[schema(value_type = BTreeMap<String, String>)]
    methods: Methods,
    /// Whether whoever has a link to it may add themselves.
    is_open: bool,
}

/// A class to be made.
#[derive(Deserialize, ToSchema)]
struct NewClass {
    title: String,
    grade: u8,
}

/// A class that was made.
#[derive(Serialize, ToSchema)]
struct ClassMade {
    id: ClassId,
}

/// A student of a class.
#[derive(Serialize, ToSchema)]
struct StudentEntry {
    id: StudentId,
    name: String,
    code: String,
    hidden: bool,
}

/// A class, opened.
#[derive(Serialize, ToSchema)]
struct ClassView {
    id: ClassId,
    title: String,
    grade: u8,
    /// The method of each skill, where it is not the usual one: their ids.
    #[schema(value_type = BTreeMap<String, String>)]
    methods: Methods,
    /// The address of the page of its students within this site.
    page: String,
    /// Work that was not touched for so many days goes.
    keep_days: u16,
    /// Whether whoever has a link to it may add themselves.
    is_open: bool,
    students: Vec<StudentEntry>,
    assignments: Vec<AssignmentEntry>,
}

/// An assignment as it stands in a list.
#[derive(Serialize, ToSchema)]
pub(crate) struct AssignmentEntry {
    id: AssignmentId,
    ladder: LadderId,
    title: String,
    /// The address of its Step Desk within this site.
    desk: String,
    rungs: u16,
    /// The student whom alone it is for.
    #[serde(skip_serializing_if = "Option::is_none")]
    student: Option<StudentId>,
    rules: AssignmentRules,
}

impl From<Assignment> for AssignmentEntry {
    fn from(one: Assignment) -> Self {
        let Assignment { id, ladder, title, rungs, rules, of_student: student, .. } = one;
        let desk = format!("/desk/{}", one.link);
        Self { id, ladder, title, desk, rungs, student, rules }
    }
}

/// What of a class is changed.
#[derive(Deserialize, ToSchema)]
struct ClassChange {
    title: String,
    grade: u8,
    #[schema(value_type = BTreeMap<String, String>)]
    methods: Methods,
    keep_days: u16,
    /// Whether whoever has a link to it may add themselves.
    #[serde(default)]
    is_open: bool,
}

fn checked_title(title: &str) -> Result<String, ApiError> {
    let title = title.split_whitespace().collect::<Vec<_>>().join(" ");
    if title.is_empty() || title.chars().count() > LONGEST_TITLE || !is_visible(&title) {
        return Err(ApiError::bad("Give the class a name, in at most 80 letters."));
    }
    Ok(title)
}

fn checked_grade(grade: u8) -> Result<u8, ApiError> {
    if grade > HIGHEST_GRADE {
        return Err(ApiError::bad("Choose a grade from kindergarten to 13."));
    }
    Ok(grade)
}

/// A student's name as it is kept, when it may be one.
pub(crate) fn checked_name(name: &str) -> Result<String, ApiError> {
    let name = name.split_whitespace().collect::<Vec<_>>().join(" ");
    if name.is_empty() || name.chars().count() > roster::LONGEST_NAME || !is_visible(&name) {
        return Err(ApiError::bad("A first name has 1 to 40 letters."));
    }
    Ok(name)
}

/// One's own classes.
#[utoipa::path(get, path = "/api/classes",
    responses((status = 200, body = Vec<ClassEntry>), (status = "default", body = Failure)))]
async fn list_classes(
    State(app): State<App>,
    teacher: SignedIn,
) -> Result<Json<Vec<ClassEntry>>, ApiError> {
    let entry = |class: Class| {
        let Class { id, title, grade, students, methods, is_open, .. } = class;
        ClassEntry { id, title, grade, students, methods, is_open }
    };
    let all = class::of_teacher(&app.db, teacher.0).await?;
    Ok(Json(all.into_iter().map(entry).collect()))
}

/// Makes a class.
#[utoipa::path(post, path = "/api/classes", request_body = NewClass,
    responses((status = 200, body = ClassMade), (status = "default", body = Failure)))]
async fn make_class(
    State(app): State<App>,
    teacher: SignedIn,
    Body(new): Body<NewClass>,
) -> Result<Json<ClassMade>, ApiError> {
    let (title, grade) = (checked_title(&new.title)?, checked_grade(new.grade)?);
    let id = class::create(&app.db, teacher.0, &title, grade).await;
    let id = id.map_err(|error| match error {
        StoreError::Full => ApiError::bad("You have 120 classes. Take one out first."),
        other => other.into(),
    })?;
    Ok(Json(ClassMade { id }))
}

/// Opens a class with its students and its assignments.
#[utoipa::path(get, path = "/api/classes/{id}", params(("id" = u64, Path)),
    responses((status = 200, body = ClassView), (status = "default", body = Failure)))]
async fn open_class(
    State(app): State<App>,
    teacher: SignedIn,
    Path(id): Path<ClassId>,
) -> Result<Json<ClassView>, ApiError> {
    let found = class::find(&app.db, teacher.0, id).await?;
    let students = class::students(&app.db, teacher.0, id).await?;
    let assignments = store::assignment::of_class(&app.db, id).await?;
    let student = |one: Student| {
        let Student { id, name, code, hidden } = one;
        StudentEntry { id, name, code, hidden }
    };
    Ok(Json(ClassView {
        id,
        title: found.title,
        grade: found.grade,
        methods: found.methods,
        page: format!("/class/{}", found.link),
        keep_days: found.keep_days,
        is_open: found.is_open,
        students: students.into_iter().map(student).collect(),
        assignments: assignments.into_iter().map(AssignmentEntry::from).collect(),
    }))
}

/// Changes what a class is called, its grade, its methods, and how long work is kept.
#[utoipa::path(put, path = "/api/classes/{id}", params(("id" = u64, Path)),
    request_body = ClassChange,
    responses((status = 204), (status = "default", body = Failure)))]
async fn change_class(
    State(app): State<App>,
    teacher: SignedIn,
    Path(id): Path<ClassId>,
    Body(change): Body<ClassChange>,
) -> Result<StatusCode, ApiError> {
    let (title, grade) = (checked_title(&change.title)?, checked_grade(change.grade)?);
    if !KEEP_DAYS.contains(&change.keep_days) {
        return Err(ApiError::bad("Work is kept for 7 to 1500 days."));
    }
    for (skill, method) in &change.methods {
        let has = skills::find(skill).is_some_and(|skill| {
            skill.card().methods.iter().any(|known| known.id.as_str() == method)
        });
        if !has {
            return Err(ApiError::bad(format!("“{skill}” has no method “{method}”.")));
        }
    }
    let ClassChange { methods, keep_days, is_open, .. } = change;
    let new = ClassSettings { title, grade, methods, keep_days, is_open };
    class::set(&app.db, teacher.0, id, &new).await?;
    Ok(StatusCode::NO_CONTENT)
}

/// Takes a class away with its students and all that they wrote for it.
#[utoipa::path(delete, path = "/api/classes/{id}", params(("id" = u64, Path)),
    responses((status = 204), (status = "default", body = Failure)))]
async fn remove_class(
    State(app): State<App>,
    teacher: SignedIn,
    Path(id): Path<ClassId>,
) -> Result<StatusCode, ApiError> {
    class::remove(&app.db, teacher.0, id).await?;
    Ok(StatusCode::NO_CONTENT)
}

/// Reads a list of names out of a text or a file (CSV or .xlsx), and tells what each row was read as. Nothing is kept.
#[utoipa::path(post, path = "/api/classes/{id}/roster", params(("id" = u64, Path)),
    request_body(content = Vec<u8>, content_type = "application/octet-stream"),
    responses((status = 200, body = Vec<roster::Row>), (status = "default", body = Failure)))]
async fn read_roster(
    State(app): State<App>,
    teacher: SignedIn,
    Path(id): Path<ClassId>,
    Whole(bytes): Whole,
) -> Result<Json<Vec<roster::Row>>, ApiError> {
    let students = class::students(&app.db, teacher.0, id).await?;
    let already: Vec<String> = students.into_iter().map(|student| student.name).collect();
    let read = move || roster::file(&bytes).map(|table| roster::people(&table, &already));
    let rows = app.make(teacher, read).await?;
    rows.map(Json).map_err(|bad| ApiError::bad(bad.0))
}

/// Who is taken into a class.
#[derive(Deserialize, ToSchema)]
struct NewStudents {
    names: Vec<String>,
}

/// Takes students into a class, each with a code of their own: all of them or none.
#[utoipa::path(post, path = "/api/classes/{id}/students", params(("id" = u64, Path)),
    request_body = NewStudents,
    responses((status = 204), (status = "default", body = Failure)))]
async fn take_in_students(
    State(app): State<App>,
    teacher: SignedIn,
    Path(id): Path<ClassId>,
    Body(new): Body<NewStudents>,
) -> Result<StatusCode, ApiError> {
    if new.names.is_empty() || new.names.len() > roster::MOST_STUDENTS {
        return Err(ApiError::bad("Take in between 1 and 200 students."));
    }
    let names: Vec<String> =
        new.names.iter().map(|name| checked_name(name)).collect::<Result<_, _>>()?;
    class::take_in(&app.db, teacher.0, id, &names).await.map_err(|error| match error {
        StoreError::Full => ApiError::bad("The class is full: it has room for 200."),
        StoreError::Taken => ApiError::taken(SAME_NAME),
        other => other.into(),
    })?;
    Ok(StatusCode::NO_CONTENT)
}

pub(crate) const SAME_NAME: &str =
    "Somebody of this name is in the class. Add a letter to tell them apart.";

/// A student's name, and whether they are in the class still.
#[derive(Deserialize, ToSchema)]
struct StudentChange {
    name: String,
    hidden: bool,
}

/// Names a student anew, hides one who left, or shows one again.
#[utoipa::path(put, path = "/api/classes/{id}/students/{student}",
    params(("id" = u64, Path), ("student" = u64, Path)), request_body = StudentChange,
    responses((status = 204), (status = "default", body = Failure)))]
async fn change_student(
    State(app): State<App>,
    teacher: SignedIn,
    Path((id, student)): Path<(ClassId, StudentId)>,
    Body(change): Body<StudentChange>,
) -> Result<StatusCode, ApiError> {
    let name = checked_name(&change.name)?;
    let set = class::set_student(&app.db, teacher.0, id, student, &name, change.hidden).await;
    set.map_err(|error| match error {
        StoreError::Taken => ApiError::taken(SAME_NAME),
        other => other.into(),
    })?;
    Ok(StatusCode::NO_CONTENT)
}

/// Takes a student away with all that they wrote, at once and for good.
#[utoipa::path(delete, path = "/api/classes/{id}/students/{student}",
    params(("id" = u64, Path), ("student" = u64, Path)),
    responses((status = 204), (status = "default", body = Failure)))]
async fn remove_student(
    State(app): State<App>,
    teacher: SignedIn,
    Path((id, student)): Path<(ClassId, StudentId)>,
) -> Result<StatusCode, ApiError> {
    class::remove_student(&app.db, teacher.0, id, student).await?;
    Ok(StatusCode::NO_CONTENT)
}

/// The way to a student's own page as a picture for a camera: the address with their code.
#[utoipa::path(get, path = "/api/classes/{id}/students/{student}/card.svg",
    params(("id" = u64, Path), ("student" = u64, Path)),
    responses((status = 200, body = String, content_type = "image/svg+xml"), (status = "default", body = Failure)))]
async fn card_of_student(
    State(app): State<App>,
    teacher: SignedIn,
    headers: HeaderMap,
    Path((id, student)): Path<(ClassId, StudentId)>,
) -> Result<Response, ApiError> {
    let found = class::find(&app.db, teacher.0, id).await?;
    let code = class::student(&app.db, id, student).await?.code;
    // What stands behind the sign is never sent to a server by itself: no log keeps the code.
    let address = format!("{}/class/{}#{code}", super::accounts::home(&app, &headers), found.link);
    let drawn = drawing::qr(&address);
    let drawn =
        drawn.ok_or_else(|| ApiError::bad("The name of this site is too long for a card."))?;
    Ok(([(CONTENT_TYPE, "image/svg+xml")], drawn).into_response())
}

/// Gives a student a new code: the old one opens nothing any more.
#[utoipa::path(post, path = "/api/classes/{id}/students/{student}/code",
    params(("id" = u64, Path), ("student" = u64, Path)),
    responses((status = 204), (status = "default", body = Failure)))]
async fn renew_student_code(
    State(app): State<App>,
    teacher: SignedIn,
    Path((id, student)): Path<(ClassId, StudentId)>,
) -> Result<StatusCode, ApiError> {
    class::renew_code(&app.db, teacher.0, id, student).await?;
    Ok(StatusCode::NO_CONTENT)
}

/// Who is the same student.
#[derive(Deserialize, ToSchema)]
struct SameStudent {
    /// The name that goes; what was written under it stays with the other one.
    other: StudentId,
}

/// Puts two names together that are one student.
#[utoipa::path(post, path = "/api/classes/{id}/students/{student}/merge",
    params(("id" = u64, Path), ("student" = u64, Path)), request_body = SameStudent,
    responses((status = 204), (status = "default", body = Failure)))]
async fn merge_students(
    State(app): State<App>,
    teacher: SignedIn,
    Path((id, student)): Path<(ClassId, StudentId)>,
    Body(same): Body<SameStudent>,
) -> Result<StatusCode, ApiError> {
    class::merge(&app.db, teacher.0, id, student, same.other).await?;
    Ok(StatusCode::NO_CONTENT)
}

/// All that is stored of a student, as one JSON file.
#[utoipa::path(get, path = "/api/classes/{id}/students/{student}/stored",
    params(("id" = u64, Path), ("student" = u64, Path)),
    responses((status = 200, content_type = "application/json", body = Vec<u8>),
              (status = "default", body = Failure)))]
async fn stored_of_student(
    State(app): State<App>,
    teacher: SignedIn,
    Path((id, student)): Path<(ClassId, StudentId)>,
) -> Result<Response, ApiError> {
    let all = class::stored_of(&app.db, teacher.0, id, student).await?;
    let file = [
        (CONTENT_TYPE, "application/json"),
        (CONTENT_DISPOSITION, "attachment; filename=\"student.json\""),
    ];
    Ok((file, all.to_string()).into_response())
}
