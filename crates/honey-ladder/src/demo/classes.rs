//! The classes of the demo world, with three weeks of work. Every line is judged like any other.

use super::students::{right, slip};
use desk::judge;
use store::assignment::{self, AssignmentRules, Feedback, Given, NewAssignment, To};
use store::desk::Written;
use store::ladder::KeptLadder;
use store::{ClassId, Db, StoreError, TeacherId, class};

/// The classes: what each is called, its grade, and who is in it.
const CLASSES: &[(&str, u8, &[&str])] = &[
    ("7b", 7, &["Ayla", "Bram", "Cleo", "Dario", "Elif", "Finn", "Greta", "Joon"]),
    ("8a", 8, &["Freya", "Leo", "Mateo", "Priya", "Rui", "Sanna"]),
];
/// Rungs that a student gets to in a week that is over, at least, and in the one that goes on, at most.
const CLIMBED: usize = 5;
const WEEK: i64 = 7 * 86_400;

/// Makes the classes and gives each a ladder a week: two weeks are given back, the third is being worked on. Tells the first
/// class.
///
/// # Errors
/// The database does not keep it.
pub async fn taught(
    db: &Db,
    orla: TeacherId,
    ladders: &[KeptLadder],
    now: i64,
) -> Result<ClassId, StoreError> {
    let mut first = None;
    for (nth, &(title, grade, names)) in CLASSES.iter().enumerate() {
        let id = class::create(db, orla, title, grade).await?;
        first = first.or(Some(id));
        let names: Vec<String> = names.iter().map(|&name| name.to_owned()).collect();
        class::take_in(db, orla, id, &names).await?;
        let students = class::students(db, orla, id).await?;
        for (week, ladder) in (0i64..3).zip(ladders.iter().cycle().skip(nth * 3)) {
            let due = now + (week - 2) * WEEK + 86_400;
            let feedback = if week == 1 { Feedback::GivenBack } else { Feedback::AtOnce };
            let rules = AssignmentRules {
                due: Some(due),
                hints: 2,
                alone: true,
                feedback,
                staged: false,
                tries: 1,
                fresh: false,
            };
            let (to, given) = (To::Class(id), Given::Kept(ladder.id, None));
            let new = NewAssignment { to, given, rules };
            let given = assignment::create(db, orla, new).await?;
            let given = assignment::find(db, orla, given).await?;
            for (at, student) in students.iter().enumerate() {
                let is_over = week < 2;
                // In the third week some have not begun.
                if !is_over && at % 3 == 2 {
                    continue;
                }
                let desk = assignment::desk(db, &given, student.id).await?;
                let climbed = if is_over { CLIMBED + at * 3 % 8 } else { 1 + at % CLIMBED };
                for (rung, number) in ladder.ladder.rungs.iter().zip(1u16..).take(climbed) {
                    let slips = (at + usize::from(number)) % 4 == 0;
                    let lines = slips.then(|| slip(rung)).flatten().unwrap_or_else(|| right(rung));
                    let judgement = judge(rung, &lines);
                    let written =
                        Written { rung: number, revision: 0, lines, answer: None, judgement };
                    store::desk::save(db, desk, 0, &written).await?;
                }
                if is_over {
                    assignment::hand_in(db, desk, due - 3_600).await?;
                }
            }
            if week == 0 {
                assignment::give_back(db, orla, given.id, None, due + 86_400).await?;
            }
        }
    }
    first.ok_or(StoreError::NotFound)
}
