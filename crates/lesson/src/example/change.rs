//! What a teacher does on the working bench: one change after the other, each made as a whole or refused as a whole.

use super::base::Base;
use super::detail::Detail;
use super::judged::{checked_reason, written};
use super::{Blank, Example, ExampleLine, PutIn, vary};
use algebra::Role;
use desk::DeskLine;
use serde::{Deserialize, Serialize};
use skills::typed::{NoWorking, no};
use teaching::ids::MethodId;
use teaching::working::WorkingLine;
use utoipa::ToSchema;

/// One change. Lines are counted from 0.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
#[serde(tag = "kind", rename_all = "snake_case")]
pub enum ExampleChange {
    /// Works it by another method.
    Method {
        /// The method's id.
        #[serde(deserialize_with = "skills::ids::method")]
        #[schema(value_type = skills::ids::MethodName)]
        id: MethodId,
    },
    /// Writes down more of it, or less.
    Detail {
        /// How much.
        detail: Detail,
    },
    /// Does a line in one go with the one below it, or shows it again.
    Fold {
        /// Which line.
        line: usize,
        /// Whether it is folded.
        folded: bool,
    },
    /// Words a reason anew; without a text, its own words come back.
    Reason {
        /// Which line.
        line: usize,
        /// The new words.
        text: Option<String>,
    },
    /// Writes a line anew.
    Write {
        /// Which line.
        line: usize,
        /// What is written.
        text: DeskLine,
    },
    /// Writes a new line below another one.
    Insert {
        /// The line above it.
        below: usize,
        /// What is written.
        text: DeskLine,
    },
    /// Takes a line of the teacher's own away; what it stood for comes back.
    Restore {
        /// Which line.
        line: usize,
    },
    /// Leaves something out for students to fill in, or fills it in again.
    Leave {
        /// Which line.
        line: usize,
        /// What is left out.
        blank: Blank,
        /// Whether it is left out.
        out: bool,
    },
    /// Puts a slip in, or takes it out.
    Slip {
        /// The slip; none takes it out.
        slip: Option<PutIn>,
    },
    /// Other numbers, the same structure.
    Vary {
        /// Another seed, other numbers.
        seed: u64,
    },
}

const OWN_LINES: &str =
    "Lines of your own stand in this working. Take them out first; undo brings them back.";

/// The example after a change.
///
/// # Errors
/// [`NoWorking`] says why the change cannot be made and what to do.
pub fn change(example: &Example, change: &ExampleChange) -> Result<Example, NoWorking> {
    let mut next = example.again()?;
    let replaces = matches!(
        change,
        ExampleChange::Method { .. }
            | ExampleChange::Detail { .. }
            | ExampleChange::Slip { .. }
            | ExampleChange::Vary { .. }
    );
    // A teacher's own lines are never written over.
    if replaces && next.has_own_lines() {
        return Err(no(OWN_LINES));
    }
    match change {
        ExampleChange::Method { id } => {
            if !next.methods.iter().any(|method| method.id == *id) {
                return Err(no("That method does not fit this problem. Choose another one."));
            }
            next.method = *id;
            next.slip = None;
            next = remade(&next)?;
        }
        ExampleChange::Detail { detail } => {
            next.detail = *detail;
            next = remade(&next)?;
        }
        ExampleChange::Slip { slip } => {
            next.slip.clone_from(slip);
            // The line that breaks is one of the usual working.
            if slip.is_some() {
                next.detail = Detail::Usual;
            }
            next = remade(&next)?;
            if next.slip != *slip {
                return Err(no("This slip cannot be made here. Choose another one."));
            }
        }
        ExampleChange::Vary { seed } => next = vary::varied(&next, *seed)?,
        ExampleChange::Fold { line, folded } => {
            if *folded && !next.folds(*line) {
                return Err(no("This line cannot be done in one go with the one below it."));
            }
            find(&mut next, *line)?.folded = *folded;
        }
        ExampleChange::Reason { line, text } => {
            let line = find(&mut next, *line)?;
            line.reworded = text.is_some();
            if let Some(text) = text {
                line.line.reason = checked_reason(text)?;
            }
        }
        ExampleChange::Write { line, text } => {
            let rung = Base::of(&next)?.rung;
            let line = find(&mut next, *line)?;
            if line.line.role == Role::Starts {
                return Err(no("This is the problem itself. Change it above."));
            }
            let read = written(&rung, text)?;
            line.line = WorkingLine { reason: line.line.reason.clone(), ..read };
            (line.own, line.folded) = (true, false);
            line.blanks.clear();
        }
        ExampleChange::Insert { below, text } => {
            let rung = Base::of(&next)?.rung;
            find(&mut next, *below)?.folded = false;
            let line = written(&rung, text)?;
            let own = ExampleLine { from: None, own: true, ..ExampleLine::made(0, line) };
            next.working.insert(below + 1, own);
        }
        ExampleChange::Restore { line } => match find(&mut next, *line)?.from {
            Some(_) => next.working[*line].own = false,
            None => drop(next.working.remove(*line)),
        },
        ExampleChange::Leave { line, blank, out } => {
            let line = find(&mut next, *line)?;
            line.blanks.retain(|other| other != blank);
            if *out {
                line.blanks.push(*blank);
            }
        }
    }
    next.again()
}

fn find(example: &mut Example, line: usize) -> Result<&mut ExampleLine, NoWorking> {
    example.working.get_mut(line).ok_or_else(|| no("This line is no longer there."))
}

/// The example with its lines made anew; reasons and blanks stay with the lines that stay.
fn remade(example: &Example) -> Result<Example, NoWorking> {
    let base = Base::of(example)?;
    let made = base.example(example.drawn.as_ref(), example.detail, example.slip.clone());
    Ok(made.keeping(example, |old, new| old == new))
}
