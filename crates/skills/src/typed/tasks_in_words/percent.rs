//! Percents: the part, the whole, the rate, and change by percents.

use crate::typed::words::{Told, written};
use algebra::Rational;
use algebra::number::from_int;
use num_traits::{One, Zero};
use teaching::typeset::Lines;

fn hundred() -> Rational {
    from_int(100)
}

pub(super) fn percent_of(n: &[Told]) -> Option<Lines> {
    let [percent, whole] = n else { return None };
    let factor = &percent.value / hundred();
    let (factor_text, part) = (written(&factor), written(&(&factor * &whole.value)));
    Some(
        Lines::start(&format!("{}% of {}", percent.text, whole.text))
            .then(
                &format!("({factor_text}) × {}", whole.text),
                format!("{}% is {factor_text}", percent.text),
            )
            .then(&part, "Multiply"),
    )
}

pub(super) fn whole_of(n: &[Told]) -> Option<Lines> {
    let [part, percent] = n else { return None };
    let factor = &percent.value / hundred();
    if factor.is_zero() {
        return None;
    }
    let (factor_text, whole) = (written(&factor), written(&(&part.value / &factor)));
    Some(
        Lines::start(&format!("({factor_text}) × n = {}", part.text))
            .then(
                &format!("n = {} ÷ ({factor_text})", part.text),
                format!("Divide both sides by {factor_text}, which is {}%", percent.text),
            )
            .then(&format!("n = {whole}"), "Divide"),
    )
}

pub(super) fn rate_of(n: &[Told]) -> Option<Lines> {
    let [part, whole] = n else { return None };
    if whole.value.is_zero() {
        return None;
    }
    let rate = &part.value / &whole.value;
    let percent = written(&(&rate * hundred()));
    Some(
        Lines::start(&format!("{}/{}", part.text, whole.text))
            .then(&format!("({} × 100/{})%", part.text, whole.text), "Percent means of a hundred")
            .then(
                &if percent.contains('/') {
                    format!("({percent})%")
                } else {
                    format!("{percent}%")
                },
                "Work it out",
            ),
    )
}

/// The same, told with the whole first: `what percent of 344 is 86`.
pub(super) fn rate_of_whole(n: &[Told]) -> Option<Lines> {
    let [whole, part] = n else { return None };
    rate_of(&[part.clone(), whole.clone()])
}

fn changed(n: &[Told], up: bool) -> Option<Lines> {
    let [old, percent] = n else { return None };
    let share = &percent.value / hundred();
    let factor = if up { Rational::one() + &share } else { Rational::one() - &share };
    let sign = if up { '+' } else { '-' };
    let (factor_text, new) = (written(&factor), written(&(&factor * &old.value)));
    Some(
        Lines::start(&format!("{} {sign} {}% of {}", old.text, percent.text, old.text))
            .then(
                &format!("({factor_text}) × {}", old.text),
                format!("The multiplier is {factor_text}"),
            )
            .then(&new, "Multiply"),
    )
}

pub(super) fn increased(n: &[Told]) -> Option<Lines> {
    changed(n, true)
}

pub(super) fn decreased(n: &[Told]) -> Option<Lines> {
    changed(n, false)
}

pub(super) fn off(n: &[Told]) -> Option<Lines> {
    let [percent, old] = n else { return None };
    changed(&[old.clone(), percent.clone()], false)
}
