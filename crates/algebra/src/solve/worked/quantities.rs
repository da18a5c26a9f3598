//! Calculations with quantities, in the units that they are written in: `6 cm × 4 cm` comes to `24 cm²`, and
//! `2 h 15 min + 50 min` to `3 h 5 min`.

use crate::budget::Budget;
use crate::expr::{Expr, ExprKind};
use crate::normal::{Normaliser, Quotient, Values};
use crate::number::{Rational, decimal_places, from_int, to_decimal_text};
use crate::rule::Rule;
use crate::unit::{Base, Unit};
use num_traits::{One, Signed, ToPrimitive, Zero};
use std::collections::BTreeMap;

/// Powers of base units.
type Powers = BTreeMap<Base, i32>;

/// The lines between quantities and what they come to, the last one with its unit as it was written; empty where
/// there is no unit, or no one unit.
#[must_use]
pub fn in_units(expr: &Expr) -> Vec<(Expr, Rule)> {
    lines(expr).unwrap_or_default()
}

fn lines(expr: &Expr) -> Option<Vec<(Expr, Rule)>> {
    let used = units_of(expr);
    if used.is_empty() || !expr.symbols().is_empty() {
        return None;
    }
    let powers: Powers = powers_of(expr)?.into_iter().filter(|(_, power)| *power != 0).collect();
    if powers.is_empty() {
        return None;
    }
    let clock = [("h", 3600), ("min", 60), ("s", 1)];
    let is_clock = |unit: &Unit| clock.iter().any(|(name, _)| unit.symbol() == *name);
    if used.len() > 1 && used.iter().all(is_clock) && powers == Powers::from([(Base::Second, 1)]) {
        return on_the_clock(expr, &used);
    }
    let target = Target::of(&used, &powers);
    let mut found = Vec::new();
    let alike = target.written_alike(expr);
    if alike != *expr {
        found.push((alike, Rule::SameUnits));
    }
    let number = target.number(expr)?;
    found.push((target.quantity(number)?, Rule::Evaluate));
    Some(found)
}

/// The units of an expression, each once, in their order.
fn units_of(expr: &Expr) -> Vec<Unit> {
    let mut found = Vec::new();
    expr.any(&mut |part| {
        if let ExprKind::Unit(unit) = part.kind
            && !found.contains(&unit)
        {
            found.push(unit);
        }
        false
    });
    found
}

/// What an expression measures; `None` where it adds what cannot be added.
fn powers_of(expr: &Expr) -> Option<Powers> {
    let joined = |a: Powers, b: Powers, sign: i32| {
        b.into_iter().fold(a, |mut all, (base, power)| {
            *all.entry(base).or_default() += sign * power;
            all
        })
    };
    let cleared = |mut powers: Powers| {
        powers.retain(|_, power| *power != 0);
        powers
    };
    Some(match &expr.kind {
        ExprKind::Unit(unit) => unit.parts().iter().copied().collect(),
        ExprKind::Negative(a) => powers_of(a)?,
        ExprKind::Add(a, b) | ExprKind::Subtract(a, b) => {
            let (a, b) = (cleared(powers_of(a)?), cleared(powers_of(b)?));
            (a == b).then_some(a)?
        }
        ExprKind::Multiply(a, b) => joined(powers_of(a)?, powers_of(b)?, 1),
        ExprKind::Divide(a, b) => joined(powers_of(a)?, powers_of(b)?, -1),
        ExprKind::Power(base, exponent) => {
            let powers = powers_of(base)?;
            if powers.is_empty() {
                return Some(powers);
            }
            let exponent = exponent.as_plain_number()?;
            let exponent = exponent.is_integer().then(|| exponent.to_integer().to_i32())??;
            powers.into_iter().map(|(base, power)| (base, power * exponent)).collect()
        }
        _ if expr.children().into_iter().all(|part| units_of(part).is_empty()) => Powers::new(),
        _ => return None,
    })
}

/// The units that a value is told in.
struct Target {
    /// A unit of its own for what is measured, such as a litre.
    whole: Option<Unit>,
    /// Otherwise one for each base unit, with its power.
    parts: Vec<(Base, Unit, i32)>,
}

impl Target {
    /// The first units of their kind that are written.
    fn of(used: &[Unit], powers: &Powers) -> Self {
        let measures = |unit: &&Unit| {
            let parts = unit.parts();
            parts.iter().copied().collect::<Powers>() == *powers
                && (parts.len() > 1 || parts[0].1 != 1)
        };
        let one = |(base, power): (&Base, &i32)| {
            let pure = used.iter().find(|unit| unit.parts() == [(*base, 1)]).copied();
            Some((*base, pure.or_else(|| Unit::named(base.symbol()))?, *power))
        };
        Self {
            whole: used.iter().find(measures).copied(),
            parts: powers.iter().filter_map(one).collect(),
        }
    }

    /// How many of the target's units one of a unit is, each base unit by itself.
    fn scale(&self, unit: Unit) -> Rational {
        if self.whole.is_some() {
            return unit.factor();
        }
        unit.parts().iter().fold(unit.factor(), |scale, (base, power)| {
            let of = self.parts.iter().find(|(known, ..)| known == base);
            let factor = of.map_or_else(Rational::one, |(_, unit, _)| unit.factor());
            scale / factor.pow(*power)
        })
    }

    /// Each quantity in the unit of the target: `1.5 m × 40 cm` is `1.5 m × 0.4 m`.
    fn written_alike(&self, expr: &Expr) -> Expr {
        expr.map(&mut |part| {
            let ExprKind::Multiply(number, unit) = &part.kind else { return part };
            let (Some(value), ExprKind::Unit(from)) = (number.as_plain_number(), &unit.kind) else {
                return part;
            };
            let same = |to: &Unit| to.parts() == from.parts() && to != from;
            let to = self
                .whole
                .into_iter()
                .chain(self.parts.iter().map(|(_, unit, _)| *unit))
                .find(same);
            let Some(to) = to.filter(|_| !self.has(*from)) else { return part };
            let value = value * from.factor() / to.factor();
            Expr::at(
                ExprKind::Multiply(Box::new(shown(&value)), Box::new(ExprKind::Unit(to).into())),
                part.span,
            )
        })
    }

    fn has(&self, unit: Unit) -> bool {
        self.whole == Some(unit)
            || (self.whole.is_none() && self.parts.iter().any(|(_, known, _)| *known == unit))
    }

    /// How many of the target's unit an expression comes to.
    fn number(&self, expr: &Expr) -> Option<Expr> {
        let bare = expr.map(&mut |part| match part.kind {
            ExprKind::Unit(unit) => Expr::at(Expr::rational(&self.scale(unit)).kind, part.span),
            kind => Expr::at(kind, part.span),
        });
        let value = value(&bare)?;
        let whole = self.whole.map_or_else(Rational::one, Unit::factor);
        match value.as_constant() {
            Some(number) => Some(shown(&(number / whole))),
            None if whole.is_one() => Some(value.to_expr()),
            None => None,
        }
    }

    /// A number of the target's unit.
    fn quantity(&self, number: Expr) -> Option<Expr> {
        let unit = |unit: Unit| -> Expr { ExprKind::Unit(unit).into() };
        if let Some(whole) = self.whole {
            return Some(number.times(unit(whole)));
        }
        let of = |sign: i32| {
            let all = self.parts.iter().filter(move |(.., power)| power.signum() == sign);
            all.map(move |(_, one, power)| {
                let n = power.unsigned_abs();
                if n == 1 { unit(*one) } else { unit(*one).to_the(n) }
            })
            .reduce(Expr::times)
        };
        let is_money = matches!(&self.parts[..], [(_, unit, 1)] if unit.stands_before());
        let number = if is_money { in_cents(number) } else { number };
        let above = match of(1) {
            Some(above) => number.times(above),
            None => number,
        };
        Some(match of(-1) {
            Some(below) => above.over(below),
            None => above,
        })
    }
}

/// A sum of money has no cents or two places of them: `13.50`.
fn in_cents(number: Expr) -> Expr {
    match number.as_plain_number() {
        Some(value) if !value.is_integer() && decimal_places(&value).is_some_and(|n| n <= 2) => {
            Expr::decimal(&to_decimal_text(&value, 2))
        }
        _ => number,
    }
}

/// A number as it is written beside a unit: a decimal where it ends.
fn shown(value: &Rational) -> Expr {
    match decimal_places(value) {
        Some(places @ 1..=6) if !value.is_negative() => {
            Expr::decimal(&to_decimal_text(value, places))
        }
        Some(places @ 1..=6) => Expr::decimal(&to_decimal_text(&value.abs(), places)).negative(),
        _ => Expr::rational(value),
    }
}

fn value(expr: &Expr) -> Option<Quotient> {
    let (none, mut budget) = (Values::new(), Budget::for_verdict());
    Normaliser::new(&none, &mut budget).build(expr).ok()
}

/// Hours, minutes and seconds: added each by themselves where they are added, then carried.
fn on_the_clock(expr: &Expr, used: &[Unit]) -> Option<Vec<(Expr, Rule)>> {
    let seconds = {
        let bare = expr.map(&mut |part| match part.kind {
            ExprKind::Unit(unit) => Expr::at(Expr::rational(&unit.factor()).kind, part.span),
            kind => Expr::at(kind, part.span),
        });
        value(&bare)?.as_constant()?
    };
    let mut units: Vec<Unit> = ["h", "min", "s"].into_iter().filter_map(Unit::named).collect();
    units.retain(|unit| used.contains(unit) || units_between(used, *unit));
    let carried = carried(&seconds, &units)?;
    let mut found = Vec::new();
    if let Some(apart) =
        added_apart(expr, &units).filter(|apart| *apart != carried && apart != expr)
    {
        found.push((apart, Rule::AddLikeUnits));
    }
    let rule = if found.is_empty() { Rule::Evaluate } else { Rule::CarryUnits };
    if carried != *expr {
        found.push((carried, rule));
    }
    Some(found)
}

/// `min` between hours and seconds.
fn units_between(used: &[Unit], unit: Unit) -> bool {
    used.iter().any(|other| other.factor() > unit.factor())
        && used.iter().any(|other| other.factor() < unit.factor())
}

/// A time in these units, the largest first, each of the others less than one of the one before it.
fn carried(seconds: &Rational, units: &[Unit]) -> Option<Expr> {
    let mut rest = seconds.abs();
    let mut parts = Vec::new();
    for (at, unit) in units.iter().enumerate() {
        let exact = &rest / unit.factor();
        let count =
            if at + 1 == units.len() { exact } else { Rational::from_integer(exact.to_integer()) };
        rest -= &count * unit.factor();
        if !count.is_zero() {
            parts.push(shown(&count).times(ExprKind::Unit(*unit).into()));
        }
    }
    let sum = parts
        .into_iter()
        .reduce(Expr::plus)
        .or_else(|| Some(Expr::int(0).times(ExprKind::Unit(*units.last()?).into())))?;
    Some(if seconds.is_negative() { sum.negative() } else { sum })
}

/// `2 h 15 min + 50 min`: 2 h and 65 min. `None` where anything but sums of times stands there, or one is negative.
fn added_apart(expr: &Expr, units: &[Unit]) -> Option<Expr> {
    let mut counts = vec![from_int(0); units.len()];
    add(expr, 1, units, &mut counts)?;
    if counts.iter().any(Signed::is_negative) {
        return None;
    }
    let parts = counts.iter().zip(units).filter(|(count, _)| !count.is_zero());
    parts.map(|(count, unit)| shown(count).times(ExprKind::Unit(*unit).into())).reduce(Expr::plus)
}

fn add(expr: &Expr, sign: i64, units: &[Unit], counts: &mut [Rational]) -> Option<()> {
    match &expr.kind {
        ExprKind::Add(a, b) => {
            add(a, sign, units, counts)?;
            add(b, sign, units, counts)
        }
        ExprKind::Subtract(a, b) => {
            add(a, sign, units, counts)?;
            add(b, -sign, units, counts)
        }
        ExprKind::Multiply(number, unit) => {
            let ExprKind::Unit(unit) = unit.kind else { return None };
            let at = units.iter().position(|known| *known == unit)?;
            counts[at] += number.as_plain_number()? * from_int(sign);
            Some(())
        }
        _ => None,
    }
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::write::text;
    use crate::{Line, Options, Setting, StepVerdict, compare_given, read_line_with};

    #[test]
    #[rustfmt::skip]
    fn a_value_is_told_in_the_units_of_its_problem() {
        for (typed, expected) in [
            ("6 cm × 4 cm",                 &["24 cm^2"][..]),
            ("1.5 m × 40 cm",               &["1.5 m × (0.4 m)", "0.6 m^2"]),
            ("50 cm × 40 cm × 30 cm",       &["60000 cm^3"]),
            ("2 × (6 cm + 4 cm)",           &["20 cm"]),
            ("24 cm^2 ÷ 6 cm",              &["4 cm"]),
            ("2 h 15 min + 50 min",         &["2 h + 65 min", "3 h + 5 min"]),
            ("3 h 10 min - 45 min",         &["2 h + 25 min"]),
            ("1 h 20 min × 3",              &["4 h"]),
            ("2 min 30 s + 45 s",           &["2 min + 75 s", "3 min + 15 s"]),
            ("90 min + 30 min",             &["120 min"]),
            ("5 km + 300 m",                &["5 km + 0.3 km", "5.3 km"]),
            ("3.5 kg - 800 g",              &["3.5 kg - 0.8 kg", "2.7 kg"]),
            ("2 L + 300 mL",                &["2 L + 0.3 L", "2.3 L"]),
            ("150 km ÷ 2.5 h",              &["60 km/h"]),
            ("60 km/h × 2 h",               &["120 km"]),
            ("$4.50 × 3",                   &["$13.50"]),
            ("$4.50 × 2",                   &["$9"]),
            ("π × 3 cm × 3 cm",             &["9π cm^2"]),
        ] {
            let options = Options { quantities: true, ..Options::default() };
            let Ok(Line::Expression(expr)) = read_line_with(typed, options).map(|r| r.line) else { panic!("{typed}") };
            let lines = in_units(&expr);
            let shown: Vec<String> = lines.iter().map(|(line, _)| text(line)).collect();
            assert_eq!(shown, expected, "{typed}");
            for (line, _) in lines {
                let verdict = compare_given(&Line::Expression(expr.clone()), &Line::Expression(line), &Setting::default());
                assert!(matches!(verdict, StepVerdict::Equivalent { .. }), "{typed}: {verdict:?}");
            }
        }
    }
}
