//! An expression in its simplest form, with the lines that lead there.

use super::{Worked, factored, in_steps, normal, two, why_not};
use crate::working::Draft;
use algebra::budget::Budget;
use algebra::normal::{Normaliser, Quotient, Values, gcd};
use algebra::number::{Notation, Written, decimal_places, to_decimal_text};
use algebra::solve::{
    Law, Rule, arithmetic, by_laws, by_laws_of_numbers, double_angles, expanding, has_brackets,
    in_units, over_one_denominator, rationalised, shortest_ratio,
};
use algebra::write::text;
use algebra::{Expr, ExprKind, Function, Line, Role};
use num_traits::Signed;

/// An expression in its simplest form.
///
/// # Errors
/// A sentence that says why there is none.
pub fn simplify(expr: &Expr) -> Result<Worked, String> {
    if let ExprKind::Ratio(terms) = &expr.kind {
        let ratio = match shortest_ratio(terms) {
            Some(ratio) => ratio,
            None => {
                let value = normal(expr).ok_or_else(|| why_not(expr))?.to_expr();
                let sides = match value.kind {
                    ExprKind::Divide(above, below) => vec![*above, *below],
                    _ => vec![value, Expr::int(1)],
                };
                ExprKind::Ratio(sides).into()
            }
        };
        return Ok(in_steps(expr, vec![(ratio, Rule::ByLaw(Law::SharedFactor))]));
    }
    let lines = in_units(expr);
    if !lines.is_empty() {
        return Ok(in_steps(expr, lines));
    }
    let value = normal(expr).ok_or_else(|| why_not(expr))?;
    let answer = as_typed(expr, &value).unwrap_or_else(|| value.to_expr());
    // A sine of a double angle over a sine of the angle: shorter when it is taken apart.
    let apart = double_angles(expr).filter(|apart| {
        normal(apart).is_some_and(|value| length(&value.to_expr()) < length(&answer))
    });
    if let Some(apart) = apart {
        let Worked { mut working, method, methods } = simplify(&apart)?;
        let given = |expr: &Expr, rule: &Rule, role| Draft::Line {
            line: Line::Expression(expr.clone()),
            reason: rule.into(),
            role,
        };
        let law = Rule::ByLaw(Law::DoubleAngle);
        working.0[0] = given(&apart, &law, Role::Follows);
        working.0.insert(0, given(expr, &Rule::Given, Role::Starts));
        return Ok(Worked { working, method, methods });
    }
    let constant = expr.symbols().is_empty();
    if *expr == answer || keeps_its_logarithms(expr, &answer) {
        let same = Line::Expression(expr.clone());
        return Ok(two(same.clone(), same, &Rule::IsSimplest));
    }
    let mut lines = if constant { number_lines(expr) } else { letter_lines(expr, &answer) };
    // Where laws end in something shorter than the usual form, that is the answer: `log xy`, `x^(5/6)`.
    let by_law = |(line, rule): &(Expr, Rule)| {
        matches!(rule, Rule::ByLaw(_)) && length(line) <= length(&answer)
    };
    let answer = match lines.last().filter(|last| !constant && by_law(last)) {
        Some((line, _)) => line.clone(),
        None => answer,
    };
    let written = |line: &Expr| *line == answer || text(line) == text(&answer);
    // The last line may be the answer already: its reason is the one that counts.
    match lines.iter().position(|(line, _)| written(line)) {
        Some(at) => {
            lines.truncate(at + 1);
            lines[at].0 = answer;
        }
        None => {
            let rule = closing_rule(lines.last().map_or(expr, |(line, _)| line), constant);
            lines.push((answer, rule));
        }
    }
    Ok(in_steps(expr, lines))
}

/// The lines between numbers and their value.
fn number_lines(expr: &Expr) -> Vec<(Expr, Rule)> {
    let found = rationalised(expr);
    if !found.is_empty() {
        return found;
    }
    let is_root = |part: &Expr| matches!(part.kind, ExprKind::Root { .. });
    if has_brackets(expr) && expr.any(&mut |part| is_root(part)) {
        let found = expanding(expr);
        if !found.is_empty() {
            return found;
        }
    }
    let law = |(line, law): (Expr, Law)| (line, Rule::ByLaw(law));
    let mut found: Vec<_> = by_laws_of_numbers(expr).into_iter().map(law).collect();
    let now = found.last().map_or(expr, |(line, _)| line).clone();
    found.extend(arithmetic(&now));
    // Where a power or a root is all there is, nothing comes before anything.
    let mut above = expr;
    for (line, rule) in &mut found {
        let is_all = matches!(
            above.kind,
            ExprKind::Power(..) | ExprKind::Root { .. } | ExprKind::Absolute(_)
        );
        if *rule == Rule::BracketsFirst && is_all && number_of_parts(above) {
            *rule = Rule::Evaluate;
        }
        above = line;
    }
    found
}

/// Whether an operation stands on numbers alone, nothing to be worked out inside.
fn number_of_parts(expr: &Expr) -> bool {
    expr.children().into_iter().all(|part| part.as_plain_number().is_some())
}

/// Whether the usual form would only write logarithms with another base.
fn keeps_its_logarithms(expr: &Expr, answer: &Expr) -> bool {
    let has = |expr: &Expr, wanted: Function| {
        expr.any(&mut |part| {
            matches!(&part.kind, ExprKind::Call { function, .. } if *function == wanted)
        })
    };
    !expr.symbols().is_empty()
        && has(expr, Function::Log)
        && has(answer, Function::Ln)
        && length(expr) <= length(answer)
        && by_laws(expr).is_empty()
}

/// The lines between an expression with letters and its simplest form.
fn letter_lines(expr: &Expr, answer: &Expr) -> Vec<(Expr, Rule)> {
    let law = |(line, law): (Expr, Law)| (line, Rule::ByLaw(law));
    let mut found: Vec<_> = by_laws(expr).into_iter().map(law).collect();
    let now = found.last().map_or(expr, |(line, _)| line).clone();
    let mut more = cancelled(&now, answer);
    if more.is_empty() {
        more = over_one_denominator(&now);
    }
    if more.is_empty() && has_brackets(&now) {
        more = expanding(&now);
    }
    found.extend(more);
    found
}

/// What the last step did, seen from the line above it.
fn closing_rule(above: &Expr, constant: bool) -> Rule {
    if constant {
        return match &above.kind {
            ExprKind::Call { function: Function::Hcf, .. } => Rule::SharedDivisor,
            ExprKind::Call { function: Function::Lcm, .. } => Rule::SharedMultiple,
            ExprKind::Call { .. } => Rule::ValuesOfFunctions,
            _ => Rule::Evaluate,
        };
    }
    match &above.kind {
        ExprKind::Add(..) | ExprKind::Subtract(..)
            if normal(above).is_some_and(|value| is_polynomial(&value)) =>
        {
            Rule::Collect
        }
        ExprKind::Divide(a, b) => match share(a, b) {
            Some(true) => Rule::Cancel,
            Some(false) => Rule::Collect,
            None => Rule::Simplify,
        },
        _ => Rule::Simplify,
    }
}

/// Whether two polynomials have a factor in common, a number or more; `None` where one is no polynomial.
fn share(a: &Expr, b: &Expr) -> Option<bool> {
    let (a, b) = (normal(a)?.as_poly()?, normal(b)?.as_poly()?);
    let common = gcd(&a, &b, &mut Budget::for_verdict()).ok()?;
    let numbers = (a.number_content(), b.number_content());
    let number = num_integer::gcd(numbers.0.numer().clone(), numbers.1.numer().clone());
    Some(common.as_constant().is_none() || !num_traits::One::is_one(&number))
}

/// Whether nothing but letters and numbers stands in it, and nothing below.
fn is_polynomial(value: &Quotient) -> bool {
    value.as_poly().is_some_and(|poly| poly.atoms().iter().all(|atom| atom.as_kernel().is_none()))
}

/// How many parts an expression has.
fn length(expr: &Expr) -> usize {
    let mut parts = 0;
    expr.any(&mut |_| {
        parts += 1;
        false
    });
    parts
}

/// A rational value as a decimal where the problem has decimals, as a mixed number where it has those; `None` where
/// it is written like any other.
fn as_typed(expr: &Expr, value: &Quotient) -> Option<Expr> {
    let value = value.as_constant().filter(|value| !value.is_integer())?;
    let has = |test: &dyn Fn(&Notation) -> bool| {
        expr.any(&mut |part| matches!(&part.kind, ExprKind::Number(w) if test(w.notation())))
    };
    let size = value.abs();
    let written: Expr = if has(&|notation| matches!(notation, Notation::Mixed { .. })) {
        let whole = size.to_integer();
        let part = size.fract();
        if num_traits::Zero::is_zero(&whole) {
            return None;
        }
        let mixed = Written::mixed(whole, part.numer().clone(), part.denom().clone())?;
        ExprKind::Number(mixed).into()
    } else if has(&|notation| matches!(notation, Notation::Decimal { .. })) {
        let places = decimal_places(&size).filter(|places| *places <= 8)?;
        Expr::decimal(&to_decimal_text(&size, places))
    } else {
        return None;
    };
    Some(if value.is_negative() { written.negative() } else { written })
}

/// A fraction of polynomials with both factorised, before what they share is cancelled; nothing where they share
/// nothing.
fn cancelled(expr: &Expr, answer: &Expr) -> Vec<(Expr, Rule)> {
    let ExprKind::Divide(above, below) = &expr.kind else { return Vec::new() };
    let poly = |side: &Expr| {
        let (none, mut budget) = (Values::new(), Budget::for_verdict());
        Normaliser::new(&none, &mut budget).build(side).ok()?.as_poly()
    };
    let (Some(a), Some(b)) = (poly(above), poly(below)) else { return Vec::new() };
    let (Ok(a), Ok(b)) = (factored(&a), factored(&b)) else { return Vec::new() };
    let line = a.over(b);
    let is_news = line != *expr && line != *answer;
    if is_news { vec![(line, Rule::Factorise)] } else { Vec::new() }
}
