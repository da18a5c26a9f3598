//! A linear equation or a proportion, by a method of the skill that it belongs to.

use crate::algebra::equations_linear;
use crate::fractions_ratio::ratio_missing_term;
use algebra::Line;
use algebra::solve::{
    Proportion, ProportionMethod, Step, Unsolved, solve_linear, solve_proportion, solve_undoing,
};
use teaching::WorkingLine;
use teaching::ids::MethodId;
use teaching::skill::{Card, Method};
use teaching::working::{Draft, Working};

/// A problem worked by a method of its skill.
pub(crate) struct OfSkill {
    /// The card of the skill.
    pub card: Card,
    /// The method that was used.
    pub method: Method,
    /// Every method that fits, the used one included.
    pub fitting: Vec<Method>,
    /// The lines, each proved.
    pub working: Vec<WorkingLine>,
}

/// The method that was asked for does not fit, though others do.
pub(crate) struct MethodDoesNotFit;

/// A linear equation or a proportion by a method of its skill; `None` for everything else.
pub(crate) fn one_unknown(
    line: &Line,
    method: Option<MethodId>,
) -> Option<Result<OfSkill, MethodDoesNotFit>> {
    let letters: Vec<String> = line.symbols().into_iter().collect();
    let [letter] = &letters[..] else { return None };
    line.as_equation()?;
    let skill_id =
        if Proportion::of(line).is_some() { "ratio.missing-term" } else { "equations.linear" };
    let card = crate::find(skill_id)?.card();
    let fitting: Vec<Method> =
        card.methods.iter().copied().filter(|m| steps(line, letter, m.id).is_ok()).collect();
    let chosen = match method {
        Some(id) => fitting.iter().find(|m| m.id == id),
        None => fitting.first(),
    };
    let Some(&method) = chosen else {
        return (!fitting.is_empty()).then_some(Err(MethodDoesNotFit));
    };
    let steps = steps(line, letter, method.id).ok()?;
    let working = Working(steps.into_iter().map(Draft::from).collect()).verified().ok()?;
    Some(Ok(OfSkill { card, method, fitting, working }))
}

fn steps(line: &Line, letter: &str, method: MethodId) -> Result<Vec<Step>, Unsolved> {
    match method {
        equations_linear::method::BALANCE => solve_linear(line, letter),
        equations_linear::method::UNDO => solve_undoing(line, letter),
        ratio_missing_term::method::CROSS_MULTIPLY => {
            solve_proportion(line, ProportionMethod::CrossMultiply)
        }
        ratio_missing_term::method::SCALE_FACTOR => {
            solve_proportion(line, ProportionMethod::ScaleFactor)
        }
        ratio_missing_term::method::UNIT_RATE => solve_proportion(line, ProportionMethod::UnitRate),
        _ => Err(Unsolved::NotThisMethod),
    }
}
