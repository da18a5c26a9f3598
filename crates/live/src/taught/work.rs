//! What a class made of the problems of a live lesson, as it counts in results.

use super::asked::ClassQuestion;
use super::now::Now;
use crate::{Sheet, Work};
use desk::Judgement;
use skills::ladder::Rung;

/// The problems that were asked in a live lesson, with what was written.
#[derive(Debug, Clone, PartialEq)]
pub struct AskedWork {
    /// The problems, in the order in which they were asked.
    pub rungs: Vec<Rung>,
    /// What each student wrote: the problems by number from 1.
    pub sheets: Vec<(u64, Vec<(u16, Judgement)>)>,
}

impl AskedWork {
    /// The work of a live lesson. Whoever answered is counted; taking part is not asked of anybody.
    #[must_use]
    pub fn of(now: &Now) -> Self {
        let asked = now.questions.iter().filter_map(|(number, question)| match &question.asked {
            ClassQuestion::Rung { rung } => Some((*number, (**rung).clone())),
            _ => None,
        });
        let (numbers, rungs): (Vec<u32>, Vec<Rung>) = asked.unzip();
        let sheet = |(student, seat): (&u64, &super::Seated)| {
            let written = |(at, number): (usize, &u32)| {
                let judgement = seat.answers.get(number)?.mark.judgement.clone()?;
                Some((u16::try_from(at + 1).ok()?, judgement))
            };
            (*student, numbers.iter().enumerate().filter_map(written).collect())
        };
        Self { rungs, sheets: now.students.iter().map(sheet).collect() }
    }

    /// The same among other works.
    #[must_use]
    pub fn work<'a>(&'a self, title: &'a str) -> Work<'a> {
        let sheet = |(student, written): &'a (u64, Vec<(u16, Judgement)>)| Sheet {
            student: *student,
            written: written.iter().map(|(number, judgement)| (*number, judgement)).collect(),
            is_over: false,
        };
        Work {
            title,
            rungs: &self.rungs,
            plan: None,
            sheets: self.sheets.iter().map(sheet).collect(),
        }
    }
}
