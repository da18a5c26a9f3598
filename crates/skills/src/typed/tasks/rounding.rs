//! Rounding to figures, to places and to the nearest of something; estimates; bounds.

use super::{Answer, Found, TaskKind, Told, formula};
use crate::number::{rounding_places, rounding_significant};
use crate::typed::text::{Amount, written};
use algebra::form::Form;
use algebra::number::{from_int, round_to_places, to_decimal_text};
use algebra::write::text;
use algebra::{Expr, ExprKind, Rational};
use num_traits::{Signed, Zero};
use teaching::ids::MethodId;
use teaching::typeset::Lines;

const FIGURES: (&str, MethodId) =
    ("rounding.significant", rounding_significant::method::MARK_THE_FIGURES);
const PLACES: (&str, MethodId) = ("rounding.places", rounding_places::method::NEXT_DIGIT);

#[rustfmt::skip]
pub(super) const KINDS: &[TaskKind] = &[
    TaskKind::of(FIGURES, &[
        "round|write|express|give? # correct? to # s f", "round|write|express|give? # correct? to # sf|sigfig|sigfigs",
        "round|write|express|give? # correct? to # sig figs|fig|figures",
        "round|write|express|give? # correct? to # significant figures|figure|digits|digit", "# rounded to # significant figures|figure",
        "# rounded to # sf",
    ], to_figures),
    TaskKind::of(FIGURES, &[
        "round|write|express|give? # correct? to one significant figure", "round|write|express|give? # correct? to 1sf",
    ], |f| to_figures_of(f.amounts::<1>()?.first()?, 1)),
    TaskKind::of(FIGURES, &[
        "round|write|express|give? # correct? to two significant figures", "round|write|express|give? # correct? to 2sf",
    ], |f| to_figures_of(f.amounts::<1>()?.first()?, 2)),
    TaskKind::of(FIGURES, &[
        "round|write|express|give? # correct? to three significant figures", "round|write|express|give? # correct? to 3sf",
    ], |f| to_figures_of(f.amounts::<1>()?.first()?, 3)),
    TaskKind::of(PLACES, &[
        "round|write|express|give? # correct? to # d p", "round|write|express|give? # correct? to # dp",
        "round|write|express|give? # correct? to # decimal place|places", "round|write|express|give? # correct? to # places",
        "# rounded to # decimal place|places", "# rounded to # dp",
    ], to_places),
    TaskKind::of(PLACES, &[
        "round|write|express|give? # correct? to one decimal place", "round|write|express|give? # correct? to 1dp",
    ], |f| rounded_at(f, 1)),
    TaskKind::of(PLACES, &[
        "round|write|express|give? # correct? to two decimal places", "round|write|express|give? # correct? to 2dp",
    ], |f| rounded_at(f, 2)),
    TaskKind::of(PLACES, &[
        "round|write|express|give? # correct? to three decimal places", "round|write|express|give? # correct? to 3dp",
    ], |f| rounded_at(f, 3)),
    TaskKind::of(PLACES, &[
        "round|write|express|give? # correct? to nearest #", "# to nearest #", "# rounded to nearest #",
    ], to_nearest),
    TaskKind::of(PLACES, &[
        "round|write|express|give? # correct? to nearest integer|whole|unit|one number?",
        "# rounded to nearest integer|whole|unit|one number?", "round # to whole number",
    ], |f| nearest(f, 0)),
    TaskKind::of(PLACES, &[
        "round|write|express|give? # correct? to nearest ten", "# rounded to nearest ten",
    ], |f| nearest(f, -1)),
    TaskKind::of(PLACES, &[
        "round|write|express|give? # correct? to nearest hundred", "# rounded to nearest hundred",
    ], |f| nearest(f, -2)),
    TaskKind::of(PLACES, &[
        "round|write|express|give? # correct? to nearest thousand", "# rounded to nearest thousand",
    ], |f| nearest(f, -3)),
    TaskKind::of(PLACES, &[
        "round|write|express|give? # correct? to nearest ten thousand",
    ], |f| nearest(f, -4)),
    TaskKind::of(PLACES, &[
        "round|write|express|give? # correct? to nearest million",
    ], |f| nearest(f, -6)),
    TaskKind::of(PLACES, &[
        "round|write|express|give? # correct? to nearest tenth",
    ], |f| nearest(f, 1)),
    TaskKind::of(PLACES, &[
        "round|write|express|give? # correct? to nearest hundredth",
    ], |f| nearest(f, 2)),
    TaskKind::of(PLACES, &[
        "round|write|express|give? # correct? to nearest thousandth",
    ], |f| nearest(f, 3)),
    TaskKind::of(PLACES, &[
        "round|write|express|give? # correct? to nearest penny|cent",
    ], |f| nearest(f, 2)),
    TaskKind::of(PLACES, &[
        "round|write|express|give? # correct? to nearest pound|dollar|euro",
    ], |f| nearest(f, 0)),
    TaskKind::beside("rounding.places", "Truncating", &[
        "truncate # to # dp", "truncate # to # decimal place|places", "truncate # to # d p",
    ], truncated),
    TaskKind::beside("rounding.significant", "Estimating", &[
        "estimate @", "estimate value of @", "estimate answer to @", "approximate @", "estimate @ by rounding",
        "estimate @ by rounding to # significant figure",
    ], estimated),
    TaskKind::beside("rounding.places", "Bounds", &[
        "upper|lower bound of|for # to # dp", "upper|lower bound of|for # rounded|given|correct? to # dp",
        "upper|lower bound of|for # rounded|given|correct? to # decimal place|places",
    ], bound_of_places),
    TaskKind::beside("rounding.places", "Bounds", &[
        "upper|lower bound of|for # rounded|given|measured|correct? to nearest #",
    ], bound_of_nearest),
    TaskKind::beside("rounding.places", "Bounds", &[
        "upper|lower bound of|for # rounded|given|measured|correct? to nearest whole|integer|cm|m|mm|km|g|kg number?",
    ], |f| bound(f, f.numbers.first()?, &from_int(1))),
];

/// A place of a rounding, and the number rounded there.
fn at_place(told: &Amount, places: i32) -> Option<(Rational, String)> {
    let unit = unit_of(places)?;
    let near = round_to_places(&(&told.value / &unit), 0) * &unit;
    let shown = to_decimal_text(&near, u32::try_from(places).unwrap_or(0));
    Some((unit, shown))
}

fn unit_of(places: i32) -> Option<Rational> {
    let power = 10_i64.checked_pow(places.unsigned_abs())?;
    Some(if places >= 0 { Rational::new(1.into(), power.into()) } else { from_int(power) })
}

/// A number rounded to multiples of a unit, shown with its claim.
fn rounded(told: &Amount, unit: &Rational, shown: &str, says: String, form: Form) -> Option<Told> {
    if told.is_of_pi || told.is_percent {
        return None;
    }
    let near = Amount::read(shown.trim_start_matches('-'))?.value;
    let near = if shown.starts_with('-') { -near } else { near };
    let half = unit / from_int(2);
    let (low, high) = (written(&(&near - &half)), written(&(&near + &half)));
    // A tie goes away from zero.
    let claim = if told.value.is_negative() {
        format!("{low} < {} <= {high}", told.text)
    } else {
        format!("{low} <= {} < {high}", told.text)
    };
    let lines = Lines::default()
        .work(&claim, "It lies nearer to this multiple than to any other")
        .begin(&told.text, "The number")
        .round(&format!("≈ {shown}"), "Rounded");
    let value = Amount { text: shown.to_owned(), value: near, ..told.clone() };
    let answer = Answer { text: value.shown(), ..Answer::value(shown) };
    Some(Told::lines(says, lines, answer.formed(form)))
}

/// The power of ten of the first figure that is not zero.
fn first_figure(value: &Rational) -> Option<i32> {
    let size = value.abs();
    (-9..=12).rev().find(|&power| unit_of(-power).is_some_and(|unit| size >= unit))
}

fn to_figures(found: &Found) -> Option<Told> {
    let [number, figures] = found.amounts()?;
    to_figures_of(number, i32::try_from(figures.whole(8)?).ok()?)
}

fn to_figures_of(number: &Amount, figures: i32) -> Option<Told> {
    if number.value.is_zero() || figures < 1 {
        return None;
    }
    let mut places = figures - 1 - first_figure(&number.value)?;
    // 9.96 to 2 figures is 10, not 10.0: the first figure has moved on.
    let (_, shown) = at_place(number, places)?;
    if first_figure(&Amount::read(shown.trim_start_matches('-'))?.value)? > figures - 1 - places
        && places > 0
    {
        places -= 1;
    }
    let (unit, shown) = at_place(number, places)?;
    let says = format!(
        "{} to {figures} significant figure{}",
        number.shown(),
        if figures == 1 { "" } else { "s" }
    );
    rounded(number, &unit, &shown, says, Form::Significant(u32::try_from(figures).ok()?))
}

fn to_places(found: &Found) -> Option<Told> {
    let [number, places] = found.amounts()?;
    at(number, i32::try_from(places.whole(8)?).ok()?)
}

fn rounded_at(found: &Found, places: i32) -> Option<Told> {
    let [number] = found.amounts()?;
    at(number, places)
}

fn at(number: &Amount, places: i32) -> Option<Told> {
    let (unit, shown) = at_place(number, places)?;
    let says = format!(
        "{} to {places} decimal place{}",
        number.shown(),
        if places == 1 { "" } else { "s" }
    );
    rounded(number, &unit, &shown, says, Form::Decimal(u32::try_from(places).ok()?))
}

fn nearest(found: &Found, places: i32) -> Option<Told> {
    let [number] = found.amounts()?;
    let (unit, shown) = at_place(number, places)?;
    let says = format!("{} to the nearest {}", number.shown(), written(&unit));
    let form = if places > 0 { Form::Decimal(places.unsigned_abs()) } else { Form::Any };
    rounded(number, &unit, &shown, says, form)
}

fn to_nearest(found: &Found) -> Option<Told> {
    let [number, unit] = found.amounts()?;
    if !unit.is_positive()
        || unit.is_percent
        || unit.is_of_pi
        || unit.unit.is_some() && unit.unit != number.unit
    {
        return None;
    }
    let near = round_to_places(&(&number.value / &unit.value), 0) * &unit.value;
    let places = u32::try_from(unit.text.split_once('.').map_or(0, |(_, part)| part.len())).ok()?;
    let shown = to_decimal_text(&near, places);
    let says = format!("{} to the nearest {}", number.shown(), unit.shown());
    rounded(number, &unit.value, &shown, says, Form::Any)
}

fn truncated(found: &Found) -> Option<Told> {
    let [number, places] = found.amounts()?;
    let places = places.whole(8)?;
    let (whole, part) = number.text.split_once('.')?;
    let kept = part.get(..usize::try_from(places).ok()?)?;
    let shown = if kept.is_empty() { whole.to_owned() } else { format!("{whole}.{kept}") };
    let rest = written(&(&number.value - Amount::read(&shown)?.value));
    if number.value.is_negative() {
        return None;
    }
    let lines = Lines::default()
        .work(
            &format!("{} = {shown} + {rest}", number.text),
            "What stands behind that place is cut off",
        )
        .begin(&shown, "What is left");
    Some(Told::lines(
        format!("{} cut off after {places} decimal places", number.text),
        lines,
        Answer::value(shown),
    ))
}

/// Every number of a calculation to one significant figure.
fn estimated(found: &Found) -> Option<Told> {
    let typed = found.text()?;
    let whole = formula::expression(typed)?;
    let near = whole.map(&mut |part: Expr| match part.as_plain_number() {
        Some(value) if !value.is_zero() => {
            let number = Amount::of(value.clone());
            let figure = first_figure(&value).and_then(|first| at_place(&number, -first));
            figure.and_then(|(_, shown)| formula::expression(&shown)).unwrap_or(part)
        }
        _ => part,
    });
    if near.symbols() != whole.symbols()
        || !near.symbols().is_empty()
        || matches!(whole.kind, ExprKind::Number(_))
    {
        return None;
    }
    if let ExprKind::Root { radicand, index } = &whole.kind
        && radicand.as_plain_number().is_some()
        && *index == 2
    {
        return root(typed, &whole, &radicand.as_plain_number()?);
    }
    let lines = Lines::default().say(format!("${}$", algebra::write::latex(&whole)), "The problem");
    let (lines, value) =
        formula::worked(lines, None, &text(&near), "Each number to 1 significant figure")?;
    let value = formula::rational(&value)?;
    let says = format!("An estimate of {}", text(&whole));
    Some(Told::lines(says, lines, Answer::value(written(&value))))
}

fn bound_of_places(found: &Found) -> Option<Told> {
    let [number, places] = found.amounts()?;
    bound(found, number, &unit_of(i32::try_from(places.whole(8)?).ok()?)?)
}

fn bound_of_nearest(found: &Found) -> Option<Told> {
    let [number, unit] = found.amounts()?;
    let step = match (&unit.unit, &number.unit) {
        (Some(_), Some(own)) => unit.value_in(own)?,
        (Some(_), None) => return None,
        _ => unit.value.clone(),
    };
    bound(found, number, &step)
}

fn bound(found: &Found, number: &Amount, unit: &Rational) -> Option<Told> {
    if !unit.is_positive() || number.is_of_pi {
        return None;
    }
    let upper = found.words.first().is_some_and(|word| word == "upper");
    let half = unit / from_int(2);
    let value = if upper { &number.value + &half } else { &number.value - &half };
    let (sign, word) = if upper { ('+', "upper") } else { ('-', "lower") };
    let lines = Lines::default()
        .work(
            &format!("{} ÷ 2 = {}", written(unit), written(&half)),
            "Half of what it was rounded to",
        )
        .begin(
            &format!("{} {sign} {}", number.text, written(&half)),
            "So far it may have been moved",
        )
        .then(&written(&value), "Work it out");
    let value = Amount { unit: number.unit.clone(), ..Amount::of(value) };
    let says = format!("The {word} bound of {}, rounded to {}", number.shown(), written(unit));
    Some(Told::lines(says, lines, super::quantity(&value)))
}

/// A square root between two whole numbers, the nearer one.
fn root(typed: &str, whole: &Expr, of: &Rational) -> Option<Told> {
    if of.is_negative() || *of > from_int(1_000_000) {
        return None;
    }
    let low = (0_i64..).take_while(|n| from_int(n * n) <= *of).last()?;
    let near = if (of - from_int(low * low)) <= (from_int((low + 1) * (low + 1)) - of) {
        low
    } else {
        low + 1
    };
    let lines = Lines::default()
        .work(
            &format!("{low}^2 <= {} < {}^2", written(of), low + 1),
            "The squares on both sides of it",
        )
        .begin(&text(whole), "The root")
        .round(&format!("≈ {near}"), "The nearer of the two");
    Some(Told::lines(format!("An estimate of {typed}"), lines, Answer::value(near.to_string())))
}
