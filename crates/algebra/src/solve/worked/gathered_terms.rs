//! A formula in which the letter stands more than once, to the first power: its terms are gathered, and the letter
//! is taken out. The lines between `ax + b = cx + d` and `x = (d - b)/(a - c)`.

use crate::budget::Budget;
use crate::expr::{Expr, ExprKind};
use crate::line::Line;
use crate::normal::{Atom, Normaliser, Poly, Values};
use crate::rule::Rule;
use crate::solve::worked::inverse_operations::undone;
use num_traits::Signed;

/// The lines on the way, each with its reason; empty where the letter does not come out in this way.
#[must_use]
pub fn gathered(line: &Line, letter: &str) -> Vec<(Line, Rule)> {
    lines(line, letter).or_else(|| inside_one_part(line, letter)).unwrap_or_default()
}

/// For a letter that stands inside one part only, as in `y = e^x/(1 + e^x)`: the part is gathered as if it were a
/// letter, and then undone.
fn inside_one_part(line: &Line, letter: &str) -> Option<Vec<(Line, Rule)>> {
    let symbols = line.symbols();
    let stand_in = ["u", "w", "q", "z"].into_iter().find(|name| !symbols.contains(*name))?;
    let mut parts: Vec<(Expr, usize)> = Vec::new();
    for side in line.expressions() {
        side.any(&mut |part| {
            if !matches!(part.kind, ExprKind::Symbol(_)) && part.symbols().contains(letter) {
                match parts.iter_mut().find(|(known, _)| known == part) {
                    Some((_, times)) => *times += 1,
                    None => parts.push((part.clone(), 1)),
                }
            }
            false
        });
    }
    // The innermost parts are met last.
    parts.iter().rev().filter(|(_, times)| *times > 1).find_map(|(part, _)| {
        let put = |from: &Expr, to: &Expr, expr: &Expr| {
            expr.map(&mut |one| if one == *from { to.clone() } else { one })
        };
        let name = Expr::symbol(stand_in);
        let renamed = line.map(&mut |expr: &Expr| put(part, &name, expr));
        if renamed.symbols().contains(letter) {
            return None;
        }
        let back = |expr: &Expr| put(&name, part, expr);
        let mut found: Vec<(Line, Rule)> = lines(&renamed, stand_in)?
            .into_iter()
            .map(|(line, rule)| (line.map(&mut |expr: &Expr| back(expr)), with_part(rule, &back)))
            .collect();
        let undone = found.last().map(|(line, _)| undone(line, letter))?;
        found.extend(undone);
        Some(found)
    })
}

/// The reason, with the part that stood for a letter.
fn with_part(rule: Rule, back: &impl Fn(&Expr) -> Expr) -> Rule {
    match rule {
        Rule::GatherLetter(one) => Rule::GatherLetter(back(&one)),
        Rule::TakeOut(one) => Rule::TakeOut(back(&one)),
        Rule::MultiplyBoth(one) => Rule::MultiplyBoth(back(&one)),
        Rule::DivideBoth(one) => Rule::DivideBoth(back(&one)),
        other => other,
    }
}

fn lines(line: &Line, letter: &str) -> Option<Vec<(Line, Rule)>> {
    let (left, right) = line.as_equation()?;
    let mut found = Vec::new();
    let (mut left, mut right) = (left.clone(), right.clone());
    // y = (ax + b)/(cx + d): the letter stands below.
    for _ in 0..2 {
        let is_below = |side: &Expr| match &side.kind {
            ExprKind::Divide(above, below) if below.symbols().contains(letter) => {
                Some(((**above).clone(), (**below).clone()))
            }
            _ => None,
        };
        if let Some((above, below)) = is_below(&right) {
            (left, right) = (left.times(below.clone()), above);
            found.push((Line::equation(left.clone(), right.clone()), Rule::MultiplyBoth(below)));
        } else if let Some((above, below)) = is_below(&left) {
            (left, right) = (above, right.times(below.clone()));
            found.push((Line::equation(left.clone(), right.clone()), Rule::MultiplyBoth(below)));
        }
    }
    let (l, r) = (poly(&left)?, poly(&right)?);
    if !found.is_empty() {
        let expanded = Line::equation(l.to_expr(), r.to_expr());
        found.push((expanded, Rule::Expand));
    }
    let [l_rest, l_terms] = split(&l, letter)?;
    let [r_rest, r_terms] = split(&r, letter)?;
    let mut budget = Budget::for_verdict();
    let terms = l_terms.add(&r_terms.negated(), &mut budget).ok()?;
    let rest = r_rest.add(&l_rest.negated(), &mut budget).ok()?;
    let name = || Expr::symbol(letter);
    if l_terms.is_zero() && l_rest == rest.negated() && r_rest.is_zero() {
        // A = P + Prt
        found.push((Line::equation(right, left), Rule::SwapSides));
    } else if !(r_terms.is_zero() && l_rest.is_zero()) {
        let line = Line::equation(terms.to_expr(), rest.to_expr());
        found.push((line, Rule::GatherLetter(name())));
    }
    // A = P + Prt says P(1 + rt) = A, not -P(1 + rt) = -A.
    // Nor does e^x(1 - y) = y say e^x(y - 1) = -y.
    let flip = l_terms.is_zero() || rest.terms().all(|(_, c)| c.is_negative());
    let (terms, rest) = if flip { (terms.negated(), rest.negated()) } else { (terms, rest) };
    if flip && let Some((line, _)) = found.last_mut() {
        *line = Line::equation(terms.to_expr(), rest.to_expr());
    }
    let [_, factor] = &terms.by_powers_of(&Atom::symbol(letter))[..] else { return None };
    let (factor, rest) = (factor.to_expr(), rest.to_expr());
    let product = Line::equation(name().times(factor.clone()), rest.clone());
    found.push((product, Rule::TakeOut(name())));
    found.push((Line::equation(name(), rest.over(factor.clone())), Rule::DivideBoth(factor)));
    Some(found)
}

/// What is free of the letter, and the terms with the letter to the first power; `None` for other powers.
fn split(poly: &Poly, letter: &str) -> Option<[Poly; 2]> {
    let atom = Atom::symbol(letter);
    let parts = poly.by_powers_of(&atom);
    if parts.iter().any(|part| part.mentions(letter)) {
        return None;
    }
    let mut budget = Budget::for_verdict();
    match &parts[..] {
        [] => Some([Poly::default(), Poly::default()]),
        [rest] => Some([rest.clone(), Poly::default()]),
        [rest, factor] => {
            Some([rest.clone(), factor.multiply(&Poly::atom(atom), &mut budget).ok()?])
        }
        _ => None,
    }
}

fn poly(expr: &Expr) -> Option<Poly> {
    let (none, mut budget) = (Values::new(), Budget::for_verdict());
    Normaliser::new(&none, &mut budget).build(expr).ok()?.as_poly()
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::write::text_line;

    #[test]
    #[rustfmt::skip]
    fn the_letter_is_gathered_and_taken_out() {
        for (formula, letter, expected) in [
            ("a x + b x = c",         "x", &["x(a + b) = c", "x = c/(a + b)"][..]),
            ("A = P + P r t",         "P", &["Prt + P = A", "P (rt + 1) = A", "P = A/(rt + 1)"]),
            ("a x + b = c x + d",     "x", &["ax - cx = d - b", "x(a - c) = d - b", "x = (d - b)/(a - c)"]),
            ("y = (x + 1)/(x - 1)",   "x", &["y(x - 1) = x + 1", "xy - y = x + 1", "xy - x = y + 1", "x(y - 1) = y + 1", "x = (y + 1)/(y - 1)"]),
            ("x^2 = a x",             "x", &[]),
            ("y = e^x/(1 + e^x)",     "x", &["y(1 + e^x) = e^x", "e^x × y + y = e^x", "e^x - e^x × y = y", "e^x × (1 - y) = y", "e^x = y/(1 - y)", "x = ln(y/(1 - y))"]),
        ] {
            let line = crate::read_line(formula).expect(formula).line;
            let lines: Vec<String> = gathered(&line, letter).iter().map(|(l, _)| text_line(l)).collect();
            assert_eq!(lines, expected, "{formula}");
        }
    }
}
