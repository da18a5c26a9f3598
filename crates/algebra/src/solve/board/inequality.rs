//! The working of an inequality: brought to one side, divided or factorised.

use super::super::steps::Rule;
use super::{Board, step};
use crate::budget::Budget;
use crate::expr::Expr;
use crate::line::Line;
use crate::normal::{Normaliser, Univariate, Values, factors};
use crate::number::from_int;
use crate::step::Role;
use num_traits::{One, Signed};

/// The working of an inequality: brought to one side, divided or factorised.
pub(super) fn board(line: &Line, letter: &str, answer: Line) -> Board {
    let mut steps = vec![step(line.clone(), Rule::Given, Role::Starts)];
    if let Some((between, rule)) = between(line, letter)
        && between != *line
        && between != answer
    {
        steps.push(step(between, rule, Role::Follows));
    }
    let turned = match (&steps[steps.len() - 1].line, &answer) {
        (Line::Relations { sides, relations }, Line::Relations { relations: after, .. })
            if sides.len() == 2 && relations.len() == 1 && after.len() == 1 =>
        {
            relations[0] != after[0]
        }
        _ => false,
    };
    let rule = if turned { Rule::TurnSign } else { Rule::FindSolutions };
    steps.push(step(answer, rule, Role::Concludes));
    Board { steps, method: "usual", methods: vec!["usual"] }
}

fn between(line: &Line, letter: &str) -> Option<(Line, Rule)> {
    let Line::Relations { sides, relations } = line else { return None };
    let ([left, right], [relation]) = (&sides[..], &relations[..]) else { return None };
    let (none, mut budget) = (Values::new(), Budget::for_verdict());
    let mut forms = Normaliser::new(&none, &mut budget);
    let (l, r) = (forms.build(left).ok()?, forms.build(right).ok()?);
    if !forms.needs.is_empty() {
        return None;
    }
    let poly = l.minus(&r, &mut budget).ok()?.as_poly()?;
    let one = Univariate::from_poly(&poly, letter)?;
    let is = |left: Expr, right: Expr| Line::Relations {
        sides: vec![left, right],
        relations: vec![*relation],
    };
    if let [b, a] = one.coefficients() {
        let term = Univariate::new(vec![from_int(0), a.clone()]).to_expr(letter);
        let rule = match Univariate::from_poly(&l.as_poly()?, letter).as_ref() {
            Some(left) if !right.symbols().contains(letter) => match left.coefficients().first() {
                Some(number) if number.is_positive() => {
                    Rule::SubtractFromBoth(Expr::rational(number))
                }
                Some(number) if number.is_negative() => Rule::AddToBoth(Expr::rational(&-number)),
                _ => Rule::Collect,
            },
            _ => Rule::Collect,
        };
        return Some((is(term, Expr::rational(&-b)), rule));
    }
    let all = factors(&poly, &mut budget).ok()?;
    let content = poly.number_content();
    let product = all
        .iter()
        .map(|(f, n)| if *n == 1 { f.to_expr() } else { f.to_expr().to_the(*n) })
        .reduce(Expr::times)?;
    let product = if content.is_one() { product } else { Expr::rational(&content).times(product) };
    (all.len() > 1).then(|| (is(product, Expr::int(0)), Rule::Factorise))
}
