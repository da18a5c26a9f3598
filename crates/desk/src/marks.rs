//! The marks of an answer: its value, its form, its rounding and its unit, each by itself.

use super::task::Task;
use super::world::World;
use super::{DeskLine, GivenAnswer};
use algebra::form::Form;
use serde::Serialize;
use skills::ladder::Rung;
use teaching::marking::Part;

/// What is right in an answer and what is not.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize)]
pub struct Marks {
    /// Whether it is the value.
    pub value: Part,
    /// Whether it is written in the form that is asked for.
    pub form: Part,
    /// Whether it is rounded as it should be.
    pub rounding: Part,
    /// Whether it has the unit; open where there is none to write, or none was written.
    pub unit: Part,
}

/// Marks an answer as it was typed.
#[must_use]
pub fn marks(rung: &Rung, written: &DeskLine) -> Marks {
    let task = Task::of(rung, std::slice::from_ref(written));
    let world = World::of(rung);
    let told = world.told(&task, written);
    let rounds = matches!(rung.answer.form, Form::Decimal(_) | Form::Significant(_));
    let of = |is: Option<bool>| match is {
        Some(true) => Part::Right,
        Some(false) => Part::Wrong,
        None => Part::Open,
    };
    // Of a wrong value neither form nor rounding is right or wrong.
    let formed = told.value.filter(|right| *right).map(|_| told.is_formed);
    Marks {
        value: of(told.value),
        form: of(formed.filter(|_| !rounds)),
        rounding: of(formed.filter(|_| rounds)),
        unit: of(told.unit),
    }
}

/// Marks an answer as its place takes it; `answered` is what the desk said of it.
#[must_use]
pub fn marks_given(rung: &Rung, given: &GivenAnswer, answered: bool) -> Marks {
    let open =
        Marks { value: Part::Open, form: Part::Open, rounding: Part::Open, unit: Part::Open };
    match (given, given.as_line(&rung.kind())) {
        (GivenAnswer::Number { .. }, Some(line)) => marks(rung, &line),
        _ if given.is_empty() => open,
        _ => Marks { value: if answered { Part::Right } else { Part::Wrong }, ..open },
    }
}
