//! What came back of an assignment: of a student's several tries the one that counts.

use super::{Assignment, Progress, Remark, find, ladder, of_class, of_try, remarks};
use crate::desk::Desk;
use crate::ladder::KeptLadder;
use crate::{AssignmentId, ClassId, Db, DeskId, StoreError, StudentId, TeacherId};
use ::desk::Judgement;
use skills::Ladder;
use sqlx::types::Json;
use std::collections::{BTreeMap, BTreeSet};

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
    /// Which try it is, and how many there are.
    pub tries: (u8, u8),
    /// The ladder with the numbers of this try, where it has its own.
    pub ladder: Option<Ladder>,
    /// What was said of it.
    pub remarks: Vec<Remark>,
}

/// The work of every student whom an assignment is for, by name: of several tries the one that counts.
///
/// # Errors
/// [`StoreError::NotFound`] when it is not theirs.
pub async fn work(db: &Db, owner: TeacherId, id: AssignmentId) -> Result<Vec<Work>, StoreError> {
    let found = find(db, owner, id).await?;
    let students = crate::class::students(db, owner, found.class).await?;
    let sittings = sittings(db, id).await?;
    let mut all = Vec::new();
    for student in students {
        let sitting = counting(&sittings, student.id);
        // A student who left is shown with what was written before.
        if (student.hidden && sitting.is_none()) || !found.is_for(student.id) {
            continue;
        }
        let mut work = Work {
            student: student.id,
            desk: None,
            name: student.name,
            progress: Progress::default(),
            tries: (0, 0),
            ladder: None,
            remarks: Vec::new(),
        };
        if let Some(sitting) = sitting {
            let desk = sitting.desk;
            work.desk = Some(crate::desk::find(db, found.ladder, desk).await?);
            work.progress = sitting.progress();
            let tries = sittings.iter().filter(|one| one.student == student.id);
            work.tries = (sitting.nth, tries.map(|one| one.nth).max().unwrap_or(1));
            work.ladder = of_try(db, desk).await?.1;
            work.remarks = remarks(db, desk).await?;
        }
        all.push(work);
    }
    Ok(all)
}

/// A desk of an assignment, without what is written on it.
#[derive(Debug, Clone, sqlx::FromRow)]
struct Sitting {
    desk: DeskId,
    student: StudentId,
    nth: u8,
    handed_in: Option<i64>,
    given_back: Option<i64>,
    finished: i64,
}

impl Sitting {
    const fn progress(&self) -> Progress {
        Progress { handed_in: self.handed_in, given_back: self.given_back }
    }
}

/// The desks of an assignment, those of a student one after the other.
async fn sittings(db: &Db, id: AssignmentId) -> Result<Vec<Sitting>, StoreError> {
    let sql = "SELECT desk.id AS desk, desk.of_student AS student, desk.nth, desk.handed_in, desk.given_back,
                 COUNT(IF(JSON_VALUE(desk_rung.judgement, '$.finished') IN ('1', 'true'), 1, NULL)) AS finished
               FROM desk LEFT JOIN desk_rung ON desk_rung.desk = desk.id
               WHERE desk.assignment = ? AND desk.of_student IS NOT NULL
               GROUP BY desk.id ORDER BY desk.of_student, desk.nth";
    Ok(sqlx::query_as(sql).bind(id).fetch_all(db).await?)
}

/// The try of a student that counts: the one with the most rungs finished, of several the latest.
fn counting(sittings: &[Sitting], student: StudentId) -> Option<&Sitting> {
    sittings.iter().filter(|one| one.student == student).max_by_key(|one| (one.finished, one.nth))
}

/// An assignment with all that came back.
#[derive(Debug, Clone, PartialEq)]
pub struct CameBack {
    /// The assignment.
    pub assignment: Assignment,
    /// Its ladder, as it was given.
    pub ladder: KeptLadder,
    /// What each student wrote who opened it, in the try that counts.
    pub desks: Vec<(StudentId, Progress, Vec<Written>)>,
}

/// The latest assignments of a teacher's class, at most so many, with all that came back, the first given first.
///
/// # Errors
/// [`StoreError::NotFound`] when the class is not theirs.
pub async fn came_back(
    db: &Db,
    owner: TeacherId,
    class: ClassId,
    most: usize,
) -> Result<Vec<CameBack>, StoreError> {
    crate::class::find(db, owner, class).await?;
    let mut all = Vec::new();
    for assignment in of_class(db, class).await?.into_iter().take(most) {
        let ladder = ladder(db, &assignment).await?;
        let desks = written(db, assignment.id).await?;
        all.push(CameBack { assignment, ladder, desks });
    }
    all.reverse();
    Ok(all)
}

/// What the students of an assignment wrote, each in the try that counts.
async fn written(
    db: &Db,
    id: AssignmentId,
) -> Result<Vec<(StudentId, Progress, Vec<Written>)>, StoreError> {
    let sittings = sittings(db, id).await?;
    let sql = "SELECT desk_rung.desk, desk_rung.rung, desk_rung.judgement
               FROM desk JOIN desk_rung ON desk_rung.desk = desk.id
               WHERE desk.assignment = ? AND desk.of_student IS NOT NULL
               ORDER BY desk_rung.desk, desk_rung.rung";
    let rows: Vec<(DeskId, u16, Json<Judgement>)> =
        sqlx::query_as(sql).bind(id).fetch_all(db).await?;
    let mut on_desks: BTreeMap<DeskId, Vec<Written>> = BTreeMap::new();
    for (desk, rung, Json(judgement)) in rows {
        on_desks.entry(desk).or_default().push(Written { rung, judgement });
    }
    let students: BTreeSet<StudentId> = sittings.iter().map(|one| one.student).collect();
    let counting = students.into_iter().filter_map(|student| counting(&sittings, student));
    let written = |one: &Sitting| {
        (one.student, one.progress(), on_desks.remove(&one.desk).unwrap_or_default())
    };
    Ok(counting.map(written).collect())
}

/// How a rung was judged.
#[derive(Debug, Clone, PartialEq)]
pub struct Written {
    /// Its number, from 1.
    pub rung: u16,
    /// As the student was told, or will be.
    pub judgement: Judgement,
}
