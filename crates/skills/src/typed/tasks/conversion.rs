//! A measure in another unit.

use super::{Task, Told, quantity};
use crate::geometry::measure_convert;
use crate::typed::text::{Amount, Kind, Measure, Token, written};
use algebra::Rational;
use algebra::number::{decimal_places, round_to_places, to_decimal_text};
use num_traits::One;
use teaching::typeset::Lines;

/// Words before a conversion that say nothing more.
const LEADING: &[&str] = &[
    "speed", "of", "length", "mass", "distance", "convert", "write", "change", "express", "what",
    "is", "are", "how", "many", "much", "find", "give", "turn", "the", "a",
];

/// `5 km in m`, `convert 90 km/h to m/s`, `how many cm in 3 m`.
pub(super) fn recognise(text: &str, told: &[Token]) -> Option<Task> {
    let (amount, unit) = asked(text, told)?;
    let Told { says, work, marks_degrees, given } = converted(&amount, &unit)?;
    let method = measure_convert::method::SCALE_FACTOR;
    Some(Task { says, skill: "measure.convert", method, topic: None, work, marks_degrees, given })
}

fn asked(text: &str, told: &[Token]) -> Option<(Amount, Measure)> {
    // No words at all begin nothing.
    let begins =
        told.iter().position(|token| !token.word().is_some_and(|word| LEADING.contains(&word)))?;
    let told = &told[begins..];
    let numbers: Vec<usize> =
        (0..told.len()).filter(|at| matches!(told[*at].kind, Kind::Number(_))).collect();
    let [at] = numbers[..] else { return None };
    let Kind::Number(amount) = &told[at].kind else { return None };
    amount.unit.as_ref()?;
    if at == 0 {
        // The amount first: "5 km to miles".
        let [_, link, rest @ ..] = told else { return None };
        matches!(link.word(), Some("in" | "to" | "into" | "as")).then_some(())?;
        let name = text[rest.first()?.from..].trim_end_matches(['.', '?', ' ']);
        return Some((amount.clone(), Measure::named(name)?));
    }
    // The unit first: "how many cm in 3 m", "cm are there in 3 m".
    let link =
        told[..at].iter().position(|token| matches!(token.word(), Some("in" | "are" | "make")))?;
    if link == 0
        || at + 1 != told.len()
            && !told[at + 1..].iter().all(|token| token.is_sign('?') || token.is_sign('.'))
    {
        return None;
    }
    let fills =
        |token: &Token| matches!(token.word(), Some("in" | "are" | "there" | "make" | "up"));
    let name = &text[told[0].from..told[link - 1].to];
    told[link..at].iter().all(fills).then_some((amount.clone(), Measure::named(name)?))
}

/// The working of an amount in another unit that fits.
pub(super) fn converted(amount: &Amount, to: &Measure) -> Option<Told> {
    let from = amount.unit.as_ref()?;
    if from == to || !from.fits(to) || from.text() == "°" || amount.is_of_pi {
        return None;
    }
    let says = format!("{} in {}", amount.shown(), to.shown());
    let factor = from.in_terms_of(to);
    let value = &amount.value * &factor;
    let (one, other, times, sign) = if factor >= Rational::one() {
        (from, to, factor.clone(), '×')
    } else {
        (to, from, factor.recip(), '÷')
    };
    let exact = Amount { unit: Some(to.clone()), ..Amount::of(value.clone()) };
    let lines = Lines::start_measured(&amount.measured());
    let ends = |value: &Rational| decimal_places(value).is_some_and(|places| places <= 4);
    let ends_soon = ends(&times)
        || decimal_places(&times).is_some() && from.text() != "mi" && to.text() != "mi";
    if ends_soon
        && decimal_places(&value).is_some_and(|places| places <= 9)
        && (times.is_integer() || ends(&times))
    {
        let lines = lines
            .work(
                &format!("1 {} = {} {}", one.text(), written(&times), other.text()),
                "How many of the smaller unit make one of the larger",
            )
            .then(&exact.measured(), format!("{} {sign} {}", amount.text, written(&times)));
        return Some(Told::lines(says, lines, quantity(&exact)));
    }
    // A factor that does not end, or ends far behind, is told to four figures, and so is the answer.
    let near_factor = super::formula::to_figures(&algebra::Expr::rational(&times), 4)?;
    let near = super::formula::to_figures(&algebra::Expr::rational(&value), 4)?;
    let places = near.split_once('.').map_or(0, |(_, part)| part.len());
    let near = to_decimal_text(
        &round_to_places(&value, u32::try_from(places).ok()?),
        u32::try_from(places).ok()?,
    );
    let near = Amount { text: near.clone(), unit: Some(to.clone()), ..Amount::read(&near)? };
    let lines = lines
        .work(
            &format!("1 {} ≈ {near_factor} {}", one.text(), other.text()),
            "How many of the smaller unit make one of the larger",
        )
        .round(
            &format!("≈ {}", near.measured()),
            format!("{} {sign} {near_factor}, to 4 significant figures", amount.text),
        );
    Some(Told::lines(says, lines, quantity(&near)))
}
