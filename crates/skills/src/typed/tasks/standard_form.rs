//! Numbers in standard form and as ordinary numbers.

use super::{Answer, Found, TaskKind, Told, formula};
use crate::number::standard_form;
use crate::typed::text::written;
use algebra::form::Form;
use algebra::number::{decimal_places, from_int, to_decimal_text};
use algebra::write::text;
use algebra::{Expr, Rational};
use num_traits::{Signed, Zero};
use teaching::ids::MethodId;
use teaching::typeset::Lines;

const FORM: (&str, MethodId) = ("standard-form", standard_form::method::MOVE_THE_POINT);

#[rustfmt::skip]
pub(super) const KINDS: &[TaskKind] = &[
    TaskKind::of(FORM, &[
        "write|express|convert|put|change? @ in|to|into|as standard|scientific form|notation",
        "standard|scientific form|notation of|for @", "write @ in standard index form",
        "calculate|work|multiply|divide|add|simplify out? @ in|giving standard|scientific form|notation",
        "@ standard|scientific form|notation",
    ], to_form),
    TaskKind::of(FORM, &[
        "write|express|convert|change? @ as|to|in|into ordinary|normal|decimal number|form|notation", "write @ in full",
        "@ as ordinary number", "write @ out? in full",
    ], to_ordinary),
    TaskKind::beside("standard-form", "Order of magnitude", &[
        "order of magnitude of #", "order of magnitude of @",
    ], magnitude),
    TaskKind::of(FORM, &[
        "@",
    ], product_of_forms),
];

/// A value as a number from 1 to 10 times a power of ten, and that power.
fn parted(value: &Rational) -> Option<(Rational, i32)> {
    if value.is_zero() || decimal_places(value)? > 30 {
        return None;
    }
    let ten = from_int(10);
    let (mut front, mut power) = (value.clone(), 0);
    while front.abs() >= ten && power < 40 {
        front /= &ten;
        power += 1;
    }
    while front.abs() < from_int(1) && power > -40 {
        front *= &ten;
        power -= 1;
    }
    Some((front, power))
}

fn front_text(front: &Rational) -> Option<String> {
    Some(to_decimal_text(front, decimal_places(front)?))
}

fn value_of(found: &Found) -> Option<(Expr, Rational)> {
    let whole = formula::expression(found.text()?)?;
    let value = formula::rational(&whole)?;
    Some((whole, value))
}

fn form(front: &str, power: i32) -> String {
    format!("{front} × 10^{power}")
}

fn to_form(found: &Found) -> Option<Told> {
    let (whole, value) = value_of(found)?;
    let (front, power) = parted(&value)?;
    let shown = form(&front_text(&front)?, power);
    let says = format!("{} in standard form", text(&whole));
    if let Some(lines) = by_parts(&whole, &value) {
        return Some(Told::lines(says, lines, Answer::value(shown).formed(Form::StandardForm)));
    }
    let mut lines = Lines::start(&text(&whole));
    let is_number = whole.as_plain_number().is_some();
    if !is_number {
        lines = lines.then(&written(&value), "Work it out");
    }
    let moves = power.unsigned_abs();
    let way = if power < 0 { "right" } else { "left" };
    let why =
        format!("The point moves {moves} place{} to the {way}", if moves == 1 { "" } else { "s" });
    Some(Told::lines(
        says,
        lines.then(&shown, why),
        Answer::value(shown).formed(Form::StandardForm),
    ))
}

/// `(3 × 10^4)(2 × 10^5)` alone: its answer is in standard form too.
fn product_of_forms(found: &Found) -> Option<Told> {
    let (whole, value) = value_of(found)?;
    let lines = by_parts(&whole, &value)?;
    let (front, power) = parted(&value)?;
    let shown = form(&front_text(&front)?, power);
    Some(Told::lines(
        format!("{} in standard form", text(&whole)),
        lines,
        Answer::value(shown).formed(Form::StandardForm),
    ))
}

/// A product or a quotient of two numbers in standard form, front by front and power by power.
fn by_parts(whole: &Expr, value: &Rational) -> Option<Lines> {
    use algebra::ExprKind::{Divide, Multiply};
    let (a, b, sign) = match &whole.kind {
        Multiply(a, b) => (a, b, '×'),
        Divide(a, b) => (a, b, '÷'),
        _ => return None,
    };
    let (a, m) = in_form(a)?;
    let (b, n) = in_form(b)?;
    let (fronts, power) = if sign == '×' { (&a * &b, m + n) } else { (&a / &b, m - n) };
    let added = if sign == '×' { "add" } else { "take away" };
    let middle = form(&front_text(&fronts)?, power);
    let (front, last) = parted(value)?;
    let lines = Lines::start(&text(whole))
        .then(
            &format!(
                "({} {sign} {}) × 10^({m} {} {})",
                front_text(&a)?,
                front_text(&b)?,
                if sign == '×' { '+' } else { '-' },
                bracketed(n)
            ),
            format!("Fronts together; {added} the exponents"),
        )
        .then(&middle, "Work both out");
    Some(lines.then(&form(&front_text(&front)?, last), "The front is to be from 1 to 10"))
}

fn bracketed(n: i32) -> String {
    if n < 0 { format!("({n})") } else { n.to_string() }
}

/// A number that is written in standard form, as its two parts.
fn in_form(part: &Expr) -> Option<(Rational, i32)> {
    let typed = text(part);
    let typed = typed.trim_matches(['(', ')']);
    let (front, power) = typed.split_once(" × 10^")?;
    let front = crate::typed::text::Amount::read(front)?.value;
    let power: i32 = power.trim_matches(['(', ')']).parse().ok()?;
    (power.abs() <= 300).then_some((front, power))
}

fn to_ordinary(found: &Found) -> Option<Told> {
    let (whole, value) = value_of(found)?;
    if whole.as_plain_number().is_some() && !text(&whole).contains('×') {
        return None;
    }
    let shown = to_decimal_text(&value, decimal_places(&value).filter(|n| *n <= 20)?);
    let lines = Lines::start(&text(&whole)).then(&shown, "The power of ten moves the point");
    Some(Told::lines(
        format!("{} as an ordinary number", text(&whole)),
        lines,
        Answer::value(shown),
    ))
}

fn magnitude(found: &Found) -> Option<Told> {
    let value = match found.numbers.first() {
        Some(number) => number.value.clone(),
        None => value_of(found)?.1,
    };
    let (front, power) = parted(&value)?;
    let number = written(&value);
    let lines = Lines::start(&number).then(
        &form(&front_text(&front)?, power),
        "In standard form; the exponent is the order of magnitude",
    );
    let lines = lines.end(format!("The order of magnitude of {number} is {power}."));
    Some(Told::lines(
        format!("The order of magnitude of {number}"),
        lines,
        Answer::words(power.to_string()),
    ))
}
