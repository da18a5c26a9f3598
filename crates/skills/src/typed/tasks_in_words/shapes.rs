//! Triangles and circles.

use crate::typed::words::{Told, are_positive, written};
use algebra::Rational;
use algebra::number::from_int;
use num_traits::Zero;
use teaching::typeset::Lines;

/// A root worked as far as it goes: a number, or a simplified root.
fn rooted(lines: Lines, radicand: &Rational) -> Option<Lines> {
    let typed = format!("sqrt({})", written(radicand));
    let algebra::Line::Expression(root) = teaching::typeset::line(&typed) else { return None };
    let simplest = teaching::tasks::simplify(&root).ok()?.working;
    let last = simplest.last_line().map(algebra::write::text_line)?;
    let lines = lines.then(&typed, "Work out what stands under the root");
    Some(if last == algebra::write::text(&root) {
        lines
    } else {
        lines.then(&last, "Take the root")
    })
}

pub(super) fn hypotenuse(n: &[Told]) -> Option<Lines> {
    let [a, b] = n else { return None };
    if !are_positive(n) {
        return None;
    }
    let square = &a.value * &a.value + &b.value * &b.value;
    rooted(Lines::start(&format!("sqrt({}^2 + {}^2)", a.text, b.text)), &square)
}

pub(super) fn leg(n: &[Told]) -> Option<Lines> {
    let [c, a] = n else { return None };
    if !are_positive(n) || c.value <= a.value {
        return None;
    }
    let square = &c.value * &c.value - &a.value * &a.value;
    rooted(Lines::start(&format!("sqrt({}^2 - {}^2)", c.text, a.text)), &square)
}

pub(super) fn triangle(n: &[Told]) -> Option<Lines> {
    let [base, height] = n else { return None };
    let whole = &base.value * &height.value;
    Some(
        Lines::start(&format!("1/2 × {} × {}", base.text, height.text))
            .then(&format!("1/2 × {}", written(&whole)), "Multiply base and height")
            .then(&written(&(whole / from_int(2))), "Take the half"),
    )
}

fn with_pi(lines: Lines, factor: &Rational) -> Lines {
    let exact = format!("({})π", written(factor));
    let near = teaching::tasks::rounded(&value_of(&exact), 1).unwrap_or_default();
    lines.then(&exact, "Exactly").round(&format!("≈ {near}"), "As a decimal, to 1 decimal place")
}

fn value_of(typed: &str) -> algebra::Expr {
    match teaching::typeset::line(typed) {
        algebra::Line::Expression(value) => value,
        _ => algebra::Expr::rational(&Rational::zero()),
    }
}

pub(super) fn circle_area(n: &[Told]) -> Option<Lines> {
    let [radius] = n else { return None };
    let square = &radius.value * &radius.value;
    Some(with_pi(Lines::start(&format!("π × {}^2", radius.text)), &square))
}

pub(super) fn circumference(n: &[Told]) -> Option<Lines> {
    let [radius] = n else { return None };
    let twice = &radius.value * from_int(2);
    Some(with_pi(Lines::start(&format!("2π × {}", radius.text)), &twice))
}

pub(super) fn circumference_of_diameter(n: &[Told]) -> Option<Lines> {
    let [diameter] = n else { return None };
    Some(with_pi(Lines::start(&format!("π × {}", diameter.text)), &diameter.value))
}
