//! Every answer that is a number, reckoned once more in floating point: another way to the same value.
//!
//! Floating point decides nothing in the program; here it looks over its shoulder.

use algebra::form::Form;
use algebra::{Expr, ExprKind, Function, Line, Options, read_line_with};
use num_traits::ToPrimitive;
use skills::SKILLS;
use skills::ladder::{Ladder, LadderOrder, Rung};
use std::collections::BTreeMap;

fn read(text: &str) -> Option<Line> {
    // Problems with units are no numbers here.
    read_line_with(text, Options::default()).ok().map(|reading| reading.line)
}

/// The value with these values of letters; not a number where this does not know how.
fn at(expr: &Expr, letters: &BTreeMap<String, f64>) -> f64 {
    let of = |part: &Expr| at(part, letters);
    match &expr.kind {
        ExprKind::Number(written) => written.value().to_f64().unwrap_or(f64::NAN),
        ExprKind::Symbol(name) => letters.get(name).copied().unwrap_or(f64::NAN),
        ExprKind::Constant(algebra::expr::Constant::Pi) => std::f64::consts::PI,
        ExprKind::Constant(algebra::expr::Constant::Euler) => std::f64::consts::E,
        ExprKind::Negative(a) => -of(a),
        ExprKind::Add(a, b) => of(a) + of(b),
        ExprKind::Subtract(a, b) => of(a) - of(b),
        ExprKind::Multiply(a, b) => of(a) * of(b),
        ExprKind::Divide(a, b) => of(a) / of(b),
        ExprKind::Power(a, b) => of(a).powf(of(b)),
        ExprKind::Root { index, radicand } => match (index, of(radicand)) {
            (2, x) => x.sqrt(),
            (3, x) => x.cbrt(),
            (n, x) => x.powf(1.0 / f64::from(*n)),
        },
        ExprKind::Ratio(parts) => match &parts[..] {
            [a, b] => of(a) / of(b),
            _ => f64::NAN,
        },
        ExprKind::Absolute(a) => of(a).abs(),
        ExprKind::Percent(a) => of(a) / 100.0,
        ExprKind::Degree(a) => of(a).to_radians(),
        ExprKind::Call { function, arguments, .. } => match (function, &arguments[..]) {
            (Function::Sin, [x]) => of(x).sin(),
            (Function::Cos, [x]) => of(x).cos(),
            (Function::Tan, [x]) => of(x).tan(),
            (Function::Arcsin, [x]) => of(x).asin(),
            (Function::Arccos, [x]) => of(x).acos(),
            (Function::Arctan, [x]) => of(x).atan(),
            (Function::Ln, [x]) => of(x).ln(),
            _ => f64::NAN,
        },
        _ => f64::NAN,
    }
}

fn value(expr: &Expr) -> Option<f64> {
    let found = at(expr, &BTreeMap::new());
    found.is_finite().then_some(found)
}

/// The number of an answer, and how far it may be from the exact value.
fn told(rung: &Rung) -> Option<(f64, f64)> {
    let line = read(&rung.answer.value)?;
    let expr = match &line {
        Line::Expression(value) | Line::Rounded(value) => value.clone(),
        Line::Relations { sides, .. } => sides.last()?.clone(),
        _ => return None,
    };
    let places = match rung.answer.form {
        Form::Decimal(places) => i32::try_from(places).ok(),
        _ => None,
    };
    let near = value(&expr)?;
    let off = places.map_or(1e-9 * near.abs().max(1.0), |places| 0.5001 * 10_f64.powi(-places));
    // An angle that is told in degrees is off by degrees.
    let off = if rung.answer.value.contains('°') { off.to_radians() } else { off };
    Some((near, off))
}

fn ladders() -> Vec<Rung> {
    let mut all = Vec::new();
    for skill in SKILLS {
        for seed in 0..12 {
            let skills = vec![skill.card().id.to_owned()];
            let order =
                LadderOrder { skills, grip: 5, tilt: 5, climb: 5, seed, ..LadderOrder::default() };
            all.extend(Ladder::make(&order).expect("made").rungs);
        }
    }
    all
}

#[test]
fn the_value_of_every_expression_is_its_answer() {
    let mut compared = 0;
    for rung in ladders() {
        let (Some(Line::Expression(problem)), Some((near, off))) = (read(&rung.line), told(&rung))
        else {
            continue;
        };
        if !problem.symbols().is_empty() {
            continue;
        }
        let Some(exact) = value(&problem) else { continue };
        assert!((exact - near).abs() <= off, "{}: {exact} and {near}", rung.prompt);
        compared += 1;
    }
    assert!(compared > 3_000, "{compared}");
}

#[test]
fn every_answer_makes_its_equation_true() {
    let mut compared = 0;
    for rung in ladders() {
        let Some(Line::Relations { sides, relations }) = read(&rung.line) else { continue };
        let (Some((near, off)), [left, right]) = (told(&rung), &sides[..]) else { continue };
        let letters: Vec<String> =
            Line::Relations { sides: sides.clone(), relations: relations.clone() }
                .symbols()
                .into_iter()
                .collect();
        if letters != [rung.unknown.clone()] || relations != [algebra::Relation::Equal] {
            continue;
        }
        // A rounded solution lies where the sign of the difference turns.
        let apart = |x: f64| {
            let at_x = BTreeMap::from([(rung.unknown.clone(), x)]);
            at(left, &at_x) - at(right, &at_x)
        };
        let (low, high) = (apart(near - off), apart(near + off));
        if low.is_nan() || high.is_nan() {
            continue;
        }
        assert!(
            low * high <= 0.0 || apart(near).abs() < 1e-9,
            "{}: {near} gives {low} and {high}",
            rung.prompt
        );
        compared += 1;
    }
    assert!(compared > 1_500, "{compared}");
}
