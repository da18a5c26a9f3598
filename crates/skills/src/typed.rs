//! A typed problem, recognised and given its working.

mod general;
pub mod near;
pub mod rung;
mod tasks;
mod text;

use crate::ladder::Answer;
use crate::solving::{MethodDoesNotFit, TaskKind, one_unknown};
use algebra::read::Mend;
use algebra::work::{self, Limit, within};
use algebra::write::text_line;
use algebra::{Line, Role, read_latex, read_line};
use serde::{Deserialize, Serialize};
use teaching::ids::MethodId;
use teaching::reading::DeskLine;
use teaching::skill::Method;
use teaching::words::unreadable;
use teaching::working::{Working, WorkingLine};
use utoipa::ToSchema;

/// A problem with its working by one method.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct TypedWorking {
    /// What was typed.
    pub problem: String,
    /// As it was read, for typesetting.
    pub latex: String,
    /// What was understood, where it was asked for in words: "The mean of 3, 5 and 8".
    pub understood: Option<String>,
    /// The problem as a student reads it, with mathematics between dollar signs.
    pub prompt: String,
    /// What is assumed of its letters, as it could be typed.
    pub given: Vec<String>,
    /// What it comes to.
    pub answer: Answer,
    /// The skill it belongs to.
    pub skill: String,
    /// What that skill is called.
    pub title: String,
    /// The method that was used.
    #[serde(deserialize_with = "crate::ids::method")]
    #[schema(value_type = crate::ids::MethodName)]
    pub method: MethodId,
    /// Every method that fits, the used one included.
    pub methods: Vec<MethodChoice>,
    /// The lines, each proved.
    pub working: Vec<WorkingLine>,
}

/// A method that can be chosen.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct MethodChoice {
    /// Its id.
    #[serde(deserialize_with = "crate::ids::method")]
    #[schema(value_type = crate::ids::MethodName)]
    pub id: MethodId,
    /// Its name in the trade.
    pub title: String,
}

/// Why a typed problem has no working, and what to do.
#[derive(Debug, Clone, PartialEq, Eq)]
pub struct NoWorking {
    /// One clear sentence.
    pub says: String,
    /// The place in the text, in UTF-8 bytes, when it could not be read.
    pub at: Option<(usize, usize)>,
    /// An edit that would mend it.
    pub mend: Option<Mend>,
}

const CAN_DO: &str = "Type an equation such as 3(2x - 5) = 27, an expression such as 3/4 + 1/8, or a task \
                      such as “15% of 60” or “factorise x^2 + 5x + 6”.";

/// What a problem may cost, in steps: about a second.
const MOST_STEPS: u64 = 4 * work::LINE;

/// The working of what a teacher typed, by `method` or the usual one.
///
/// # Errors
/// [`NoWorking`] with a sentence that says what to do.
pub fn work(problem: &str, method: Option<MethodId>) -> Result<TypedWorking, NoWorking> {
    let too_large =
        |work::Stopped| Err(no("This problem is too large to be worked. Type a smaller one."));
    within(Limit::steps(MOST_STEPS), || found(problem, method)).unwrap_or_else(too_large)
}

fn found(problem: &str, method: Option<MethodId>) -> Result<TypedWorking, NoWorking> {
    if let Some(found) = in_words(problem, method) {
        return Ok(found);
    }
    if let Some(found) = of_skill(problem, method) {
        return found;
    }
    let found = general::work(problem, method);
    found.map_err(
        |why| if why.mend.is_some() { why } else { not_understood(problem).map_or(why, no) },
    )
}

/// What to say of a text in words that is not understood: which skills are near. `None` for what is no text in words.
#[must_use]
pub fn not_understood(problem: &str) -> Option<String> {
    if !is_in_words(problem) {
        return None;
    }
    Some(match &near::near(problem)[..] {
        [] => format!("This was not understood. {CAN_DO}"),
        near => {
            format!("This was not understood. Skills that are near: {}. {CAN_DO}", near.join("; "))
        }
    })
}

/// Whether more than one word stands in a text.
fn is_in_words(text: &str) -> bool {
    let words = text.split(|c: char| !c.is_alphabetic());
    words.filter(|word| word.chars().count() > 3).count() > 1
}

/// The working of a task that is asked for in words; `None` for everything else, whatever it is.
#[must_use]
pub fn work_in_words(problem: &str) -> Option<TypedWorking> {
    within(Limit::steps(MOST_STEPS), || in_words(problem, None)).ok().flatten()
}

/// How a problem is asked for.
pub enum Asked {
    /// In words: `15% of 60`.
    Words,
    /// In mathematics behind a word that says what to do: `factorise x^2 - 9`.
    Task {
        /// The word.
        verb: &'static str,
        /// The task of the solver that it stands for.
        task: TaskKind,
    },
    /// In mathematics alone.
    Mathematics,
}

/// How a problem is asked for, whether or not it can be worked.
pub fn asked(problem: &str) -> Asked {
    if let (Some((verb, task)), rest) = general::parted(problem)
        && read_line(rest).is_ok_and(|read| !matches!(read.line, Line::Sentence(_)))
    {
        return Asked::Task { verb, task };
    }
    if tasks::recognise(problem).next().is_some() {
        return Asked::Words;
    }
    Asked::Mathematics
}

/// One clear sentence, and no place.
pub fn no(says: impl Into<String>) -> NoWorking {
    NoWorking { says: says.into(), at: None, mend: None }
}

/// How many readings of a text are worked before it is given up.
const READINGS: usize = 5;

/// A task in words, when it is one and its working is proved.
fn in_words(problem: &str, method: Option<MethodId>) -> Option<TypedWorking> {
    tasks::recognise(problem).take(READINGS).find_map(|task| worked(problem, task, method))
}

fn worked(problem: &str, task: tasks::Task, method: Option<MethodId>) -> Option<TypedWorking> {
    let (lines, answer) = match task.work {
        tasks::Work::Lines(work) => *work,
        tasks::Work::Solver(solver) => {
            let mut found = general::solved(problem, &solver, method, task.skill).ok()?;
            found.understood = Some(task.says);
            found.given = task.given;
            // Degrees are said in the key, in the text where they were asked for.
            if solver.degrees {
                let text = format!("{}°", found.answer.text.replace(" or ", "° or "));
                let read = read_line(&text).ok()?.line;
                found.answer.latex = Some(algebra::write::latex_line(&read));
                found.answer.value.clone_from(&text);
                if task.marks_degrees {
                    found.answer.text = text;
                }
            }
            return Some(found);
        }
    };
    let card = crate::find(task.skill)?.card();
    let of_card = card.methods.iter().find(|method| method.id == task.method);
    let title = task.topic.unwrap_or(card.title);
    let method_title = of_card.map_or(title, |method| method.title);
    let working = Working::from(lines).verified().ok()?;
    let answer = answer.proved_by(&working)?;
    let first = working.iter().find(|line| line.role == Role::Starts);
    let first = first.or_else(|| working.iter().find(|line| line.latex.is_some()));
    Some(TypedWorking {
        problem: problem.trim().to_owned(),
        latex: first.and_then(|line| line.latex.clone()).unwrap_or_default(),
        understood: Some(task.says),
        given: task.given,
        prompt: rung::sentence(problem),
        answer,
        skill: card.id.into(),
        title: title.into(),
        method: task.method,
        methods: vec![MethodChoice { id: task.method, title: method_title.into() }],
        working,
    })
}

/// A linear equation or a proportion by a method of its skill; `None` for everything else.
fn of_skill(problem: &str, method: Option<MethodId>) -> Option<Result<TypedWorking, NoWorking>> {
    let line = read_line(problem).ok()?.line;
    let found = match one_unknown(&line, method)? {
        Ok(found) => found,
        Err(MethodDoesNotFit) => {
            return Some(Err(no("That method does not fit this problem. Choose another one.")));
        }
    };
    let choice = |m: &Method| MethodChoice { id: m.id, title: m.title.into() };
    let latex = algebra::write::latex_line(&line);
    Some(Ok(TypedWorking {
        problem: problem.trim().to_owned(),
        understood: None,
        given: Vec::new(),
        prompt: rung::prompt(problem, &line, &latex),
        answer: rung::answer(problem, &line, &found.working).ok_or_else(|| no(CAN_DO)).ok()?,
        latex,
        skill: found.card.id.into(),
        title: found.card.title.into(),
        method: found.method.id,
        methods: found.fitting.iter().map(choice).collect(),
        working: found.working,
    }))
}

/// A problem written in the mathematics field or typed plainly, as it would be typed.
///
/// # Errors
/// [`NoWorking`] without a place for LaTeX, since nobody sees it.
pub fn plain_text(problem: &DeskLine) -> Result<String, NoWorking> {
    if !problem.latex {
        return Ok(problem.text.clone());
    }
    match read_latex(&problem.text) {
        Ok(reading) if !matches!(reading.line, Line::Sentence(_)) => Ok(text_line(&reading.line)),
        Ok(_) => Err(no(format!("No mathematics was found in this. {CAN_DO}"))),
        Err(error) => Err(no(unreadable(&error))),
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    #[rustfmt::skip]
    fn a_typed_problem_gets_the_working_of_its_skill() {
        for (problem, skill, methods, last) in [
            ("3(2x - 5) = 27", "equations.linear",   2, "x = 7"),
            ("n/6 = 10/15",    "ratio.missing-term", 3, "n = 4"),
            ("2:3 = n:12",     "ratio.missing-term", 3, "n = 8"),
            ("5x+3 = 2x+12",   "equations.linear",   1, "x = 3"),
            ("0.5y = 4",       "equations.linear",   2, "y = 8"),
            ("2(x+1) = 2x",    "equations.linear",   1, "no solution"),
            ("6/n = 3",        "equations.rational", 1, "n = 2"),
            ("x^2 - 5x + 6 = 0", "equations.quadratic", 3, "x = 2 or x = 3"),
        ] {
            let found = work(problem, None);
            let found = found.unwrap_or_else(|why| panic!("{problem}: {}", why.says));
            assert_eq!((found.skill.as_str(), found.methods.len()), (skill, methods), "{problem}");
            assert_eq!(found.working.last().map(|l| l.math.as_str()), Some(last), "{problem}");
            for method in &found.methods {
                let other = work(problem, Some(method.id)).expect("it fits");
                assert_eq!(other.working.last().map(|l| l.math.as_str()), Some(last));
            }
        }
    }

    #[test]
    fn a_problem_from_the_mathematics_field_is_the_same_problem() {
        let field = |text: &str| plain_text(&DeskLine { text: text.into(), latex: true });
        assert_eq!(field("\\frac{n}{6}=\\frac{10}{15}"), Ok("n/6 = 10/15".into()));
        let plain = DeskLine { text: "3x = 12".into(), latex: false };
        assert_eq!(plain_text(&plain), Ok("3x = 12".into()));
        assert!(field("3(2x").expect_err("unfinished").says.contains("closed"));
        assert!(field("\\text{two bees}").is_err());
    }

    #[test]
    #[rustfmt::skip]
    fn what_cannot_be_worked_says_what_can() {
        for (problem, says) in [
            ("",          "There is nothing on this line yet."),
            ("3(2x",      "This “(” is never closed."),
            ("tan x = x", "This could not be worked"),
            ("two bees",  "“two” was not recognised."),
            ("A = b h",   "This could not be worked"),
        ] {
            let found = work(problem, None).expect_err(problem);
            assert!(found.says.starts_with(says), "{problem}: {}", found.says);
        }
        assert!(work(&"1+".repeat(60_000), None).expect_err("long").says.contains("too long"));
    }
}
