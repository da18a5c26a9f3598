//! A formula with its numbers put in, and calculations line by line.

use crate::typed::text::written;
use algebra::write::{text, text_line};
use algebra::{Expr, Line, Rational, read_line};
use std::collections::BTreeMap;
use teaching::tasks;
use teaching::typeset::{Lines, tex};
use teaching::working::Draft;

/// Values of letters.
pub(super) type Known = BTreeMap<String, Expr>;

/// An expression as it is typed.
pub(super) fn expression(typed: &str) -> Option<Expr> {
    match read_line(typed).ok()?.line {
        Line::Expression(value) => Some(value),
        _ => None,
    }
}

/// A calculation worked out line by line, each led by `name = ` where there is a name; the value is the last one.
pub(super) fn worked(
    lines: Lines,
    name: Option<&str>,
    typed: &str,
    begin: &str,
) -> Option<(Lines, Expr)> {
    let whole = expression(typed)?;
    worked_from(lines, name, typed, &whole, begin)
}

fn worked_from(
    lines: Lines,
    name: Option<&str>,
    typed: &str,
    whole: &Expr,
    begin: &str,
) -> Option<(Lines, Expr)> {
    let led = |math: &str| name.map_or_else(|| math.to_owned(), |name| format!("{name} = {math}"));
    let found = tasks::simplify(whole).ok()?;
    let mut lines = lines.begin(&led(typed), begin);
    let mut value = whole.clone();
    for draft in found.working.0.into_iter().skip(1) {
        let Draft::Line { line, reason, .. } = draft else { continue };
        lines = lines.then(&led(&tidied(&text_line(&line))), reason.says);
        if let Line::Expression(next) = line {
            value = next;
        }
    }
    // A number that ends is written as a decimal where the problem is.
    if let Some(exact) = rational(&value)
        && !exact.is_integer()
        && (name.is_some() || typed.contains('.'))
    {
        let decimal = written(&exact);
        if decimal != text(&value) && !decimal.contains('/') {
            lines = lines.then(&led(&decimal), "As a decimal");
            value = expression(&decimal)?;
        }
    }
    if let Some(times) = of_pi(&value).filter(|_| typed.contains('.')) {
        let decimal = format!("{}π", written(&times));
        if decimal != text(&value) && !decimal.contains('/') {
            lines = lines.then(&led(&decimal), "As a decimal times π");
            value = expression(&decimal)?;
        }
    }
    Some((lines, value))
}

/// `12 + (-2)` as people write it: `12 - 2`.
fn tidied(typed: &str) -> String {
    let Some((before, after)) = typed.split_once(" + (-") else { return typed.to_owned() };
    match after.split_once(')') {
        Some((number, rest)) if number.chars().all(|c| c.is_ascii_digit() || c == '.') => {
            format!("{before} - {number}{}", tidied(rest))
        }
        _ => typed.to_owned(),
    }
}

/// How many times π a value is, where it is a quotient of whole numbers.
fn of_pi(value: &Expr) -> Option<Rational> {
    let shown = text(value);
    let quotient = expression(&format!("({shown})/π"))?;
    shown.contains('π').then(|| rational(&quotient)).flatten()
}

/// The value of a constant that is a quotient of whole numbers.
pub(super) fn rational(value: &Expr) -> Option<Rational> {
    use algebra::budget::Budget;
    use algebra::normal::{Normaliser, Values};
    let (none, mut budget) = (Values::new(), Budget::for_verdict());
    Normaliser::new(&none, &mut budget).build(value).ok()?.as_constant()
}

/// A formula `A = 1/2 b h` with what is known put in, and worked out.
pub(super) fn put_in(
    lines: Lines,
    formula: &str,
    known: &Known,
    what: &str,
) -> Option<(Lines, Expr)> {
    let (subject, right) = formula.split_once(" = ")?;
    let mut filled = expression(right)?;
    for (letter, value) in known {
        filled = filled.with(letter, value);
    }
    if !filled.symbols().is_empty() {
        return None;
    }
    let lines = lines.say(tex(formula), what);
    let typed = text(&filled);
    worked_from(lines, Some(subject), &typed, &filled, "Put in what is known")
}

/// A value to so many significant figures, as a decimal.
pub(super) fn to_figures(value: &Expr, figures: i32) -> Option<String> {
    let near: f64 = tasks::decimal(value, 12)?.parse().ok()?;
    if near == 0.0 {
        return None;
    }
    #[allow(clippy::cast_possible_truncation)]
    let first = near.abs().log10().floor() as i32;
    let places = u32::try_from((figures - 1 - first).clamp(0, 9)).ok()?;
    tasks::rounded(value, places)
}

/// Goes on with the value as a decimal where it is not a number that ends.
pub(super) fn about(lines: Lines, name: Option<&str>, value: &Expr) -> (Lines, Option<String>) {
    if rational(value).is_some() {
        return (lines, None);
    }
    let Some(near) = to_figures(value, 3) else { return (lines, None) };
    let typed = name.map_or_else(|| format!("≈ {near}"), |name| format!("{name} ≈ {near}"));
    (lines.round(&typed, "As a decimal, to 3 significant figures"), Some(near))
}
