//! What the work of a class adds up to: by skill, by ladder, by rung, and the slips that were seen.

use crate::{Standing, Work};
use desk::Judgement;
use serde::{Deserialize, Serialize};
use std::collections::{BTreeMap, BTreeSet};
use teaching::ids::SlipId;
use utoipa::ToSchema;

/// How much of what was asked is done, counted in rungs.
#[derive(Debug, Clone, Copy, Default, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct Share {
    /// Finished: the answer, and every line above it holds.
    pub finished: u32,
    /// Something stands there.
    pub tried: u32,
    /// Asked for.
    pub asked: u32,
    /// Where the student stands, when only one rung is asked for and something stands on it.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub standing: Option<Standing>,
}

impl Share {
    fn add(&mut self, judgement: Option<&Judgement>) {
        let standing = judgement.and_then(Standing::of);
        self.asked += 1;
        self.tried += u32::from(standing.is_some());
        self.finished += u32::from(standing == Some(Standing::Finished));
        self.standing = if self.asked == 1 { standing } else { None };
    }
}

/// What one student did in each column.
#[derive(Debug, Clone, PartialEq, Eq)]
pub struct Row {
    /// The student's id.
    pub student: u64,
    /// One for each column; none asked where it was not given to them.
    pub shares: Vec<Share>,
}

/// All students together, for each of so many columns.
#[must_use]
pub fn together(rows: &[Row], columns: usize) -> Vec<Share> {
    let mut all = vec![Share::default(); columns];
    for row in rows {
        for (sum, share) in all.iter_mut().zip(&row.shares) {
            sum.finished += share.finished;
            sum.tried += share.tried;
            sum.asked += share.asked;
        }
    }
    all
}

/// The same rows for every kind of column: `column` says in which one a rung counts.
fn rows(works: &[Work<'_>], columns: usize, column: impl Fn(usize, usize) -> usize) -> Vec<Row> {
    let mut rows: BTreeMap<u64, Vec<Share>> = BTreeMap::new();
    for (at, work) in works.iter().enumerate() {
        for sheet in &work.sheets {
            let row = rows.entry(sheet.student).or_insert_with(|| vec![Share::default(); columns]);
            for rung in 0..work.rungs.len() {
                row[column(at, rung)].add(sheet.on(rung + 1));
            }
        }
    }
    rows.into_iter().map(|(student, shares)| Row { student, shares }).collect()
}

/// By skill: the ids of the skills in the order in which they were first asked for, and a row for each student.
#[must_use]
pub fn by_skill(works: &[Work<'_>]) -> (Vec<String>, Vec<Row>) {
    let mut skills: Vec<String> = Vec::new();
    for rung in works.iter().flat_map(|work| work.rungs) {
        if !skills.contains(&rung.skill) {
            skills.push(rung.skill.clone());
        }
    }
    let column = |work: usize, rung: usize| {
        let skill = &works[work].rungs[rung].skill;
        skills.iter().position(|known| known == skill).unwrap_or_default()
    };
    let rows = rows(works, skills.len(), column);
    (skills, rows)
}

/// By work: how each student did from one ladder to the next.
#[must_use]
pub fn by_work(works: &[Work<'_>]) -> Vec<Row> {
    rows(works, works.len(), |work, _| work)
}

/// By rung of one work.
#[must_use]
pub fn by_rung(work: &Work<'_>) -> Vec<Row> {
    rows(std::slice::from_ref(work), work.rungs.len(), |_, rung| rung)
}

/// A slip that was seen.
#[derive(Debug, Clone, PartialEq, Eq)]
pub struct Seen {
    /// Which.
    pub slip: SlipId,
    /// Whom it was seen with.
    pub students: BTreeSet<u64>,
    /// On which rungs: the place of the work, and the number of the rung from 1; the most frequent one first.
    pub rungs: Vec<(usize, u16)>,
}

/// The slips that stand in the work of these students, the ones of most students first.
#[must_use]
pub fn slips(works: &[Work<'_>], of: impl Fn(u64) -> bool) -> Vec<Seen> {
    type Rungs = BTreeMap<(usize, u16), BTreeSet<u64>>;
    let mut found: BTreeMap<SlipId, Rungs> = BTreeMap::new();
    for (at, work) in works.iter().enumerate() {
        for sheet in work.sheets.iter().filter(|sheet| of(sheet.student)) {
            for &(number, judgement) in &sheet.written {
                for line in judgement.lines.iter().chain(&judgement.answer) {
                    let Some(slip) = line.slip else { continue };
                    let rungs = found.entry(slip).or_default();
                    rungs.entry((at, number)).or_default().insert(sheet.student);
                }
            }
        }
    }
    let seen = |(slip, rungs): (SlipId, Rungs)| {
        let students = rungs.values().flatten().copied().collect();
        let mut rungs: Vec<_> = rungs.into_iter().collect();
        rungs.sort_by_key(|(_, students)| std::cmp::Reverse(students.len()));
        Seen { slip, students, rungs: rungs.into_iter().map(|(rung, _)| rung).collect() }
    };
    let mut all: Vec<Seen> = found.into_iter().map(seen).collect();
    all.sort_by_key(|seen| std::cmp::Reverse(seen.students.len()));
    all
}
