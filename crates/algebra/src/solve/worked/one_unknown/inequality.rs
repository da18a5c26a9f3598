//! The working of an inequality: its parts undone one after the other, or everything on one side as a product.

use super::{OneUnknown, Way, any_of, step};
use crate::budget::Budget;
use crate::expr::{Expr, ExprKind, Function};
use crate::line::{Line, Relation};
use crate::normal::simplest;
use crate::normal::{KernelKind, Normaliser, Poly, Univariate, Values, constant, factors};
use crate::number::{Rational, from_int};
use crate::role::Role;
use crate::rule::{Rule, Step};
use crate::solve::{Solutions, Writing, has_brackets, product_of_factors, solutions};
use num_traits::{One, Signed, Zero};

/// The working of an inequality with that answer.
pub(super) fn worked(line: &Line, letter: &str, answer: Line) -> OneUnknown {
    let mut steps = vec![step(line.clone(), Rule::Given, Role::Starts)];
    let mut last = None;
    for (between, rule) in between(line, letter).unwrap_or_default() {
        if between == answer {
            last = Some(rule);
            break;
        }
        if steps.last().is_none_or(|above| above.line != between) {
            steps.push(step(between, rule, Role::Follows));
        }
    }
    let rule = last.unwrap_or_else(|| match rule_to(&answer, &steps) {
        Rule::FindSolutions => signs(&steps, letter).unwrap_or(Rule::FindSolutions),
        rule => rule,
    });
    steps.push(step(answer, rule, Role::Concludes));
    OneUnknown { steps, way: Way::Usual, ways: vec![Way::Usual] }
}

/// Where the sign of what is compared with zero can change.
fn signs(steps: &[Step], letter: &str) -> Option<Rule> {
    let Line::Relations { sides, relations } = &steps.last()?.line else { return None };
    let ([left, right], [_]) = (&sides[..], &relations[..]) else { return None };
    if !right.as_plain_number()?.is_zero() {
        return None;
    }
    let zeros_of = |part: &Expr| -> Option<Vec<Expr>> {
        if part.symbols().is_empty() {
            return Some(Vec::new());
        }
        match solutions(&Line::equation(part.clone(), Expr::int(0)), letter).ok()? {
            Solutions::Finite(all) => all
                .iter()
                .map(|one| match one.writing() {
                    Writing::Exact(value) => Some(value.clone()),
                    Writing::Near { .. } => None,
                })
                .collect(),
            _ => None,
        }
    };
    let (above, below) = match &left.kind {
        ExprKind::Divide(above, below) => (zeros_of(above)?, zeros_of(below)?),
        _ => (zeros_of(left)?, Vec::new()),
    };
    let zeros: Vec<Expr> = above.into_iter().filter(|one| !below.contains(one)).collect();
    Some(match (zeros.is_empty(), below.is_empty()) {
        (true, true) => Rule::SignNeverChanges,
        _ => Rule::SignsBetween { zeros, gaps: below },
    })
}

/// Why the answer follows from the last line.
fn rule_to(answer: &Line, steps: &[Step]) -> Rule {
    let Some(Step { line, rule, .. }) = steps.last() else { return Rule::FindSolutions };
    match (line, answer) {
        (Line::Relations { relations: before, .. }, Line::Relations { relations: after, .. })
            if before.len() == 1 && after.len() == 1 && before != after =>
        {
            Rule::TurnSign
        }
        (Line::Relations { sides: before, .. }, Line::Relations { sides: after, .. })
            if before.len() == 2 && after.len() == 2 =>
        {
            scaled(&before[0], &after[0]).unwrap_or(Rule::FindSolutions)
        }
        _ if matches!(rule, Rule::FurtherThan(_)) => Rule::SolveEach,
        _ => Rule::FindSolutions,
    }
}

/// `3x` became `x`: both sides were divided by 3; `x/2`: multiplied by 2.
fn scaled(before: &Expr, after: &Expr) -> Option<Rule> {
    let (none, mut budget) = (Values::new(), Budget::for_verdict());
    let mut poly = |side: &Expr| Normaliser::new(&none, &mut budget).build(side).ok()?.as_poly();
    let (before, after) = (poly(before)?, poly(after)?);
    let change = before.add(&after.negated(), &mut Budget::for_verdict()).ok()?.as_constant();
    if let Some(number) = change.filter(|number| !number.is_zero()) {
        return Some(if number.is_positive() {
            Rule::SubtractFromBoth(Expr::rational(&number))
        } else {
            Rule::AddToBoth(Expr::rational(&-number))
        });
    }
    let ((monomial, factor), (other, one)) = (before.as_term()?, after.as_term()?);
    if monomial != other || !one.is_one() || !factor.is_positive() || factor.is_one() {
        return None;
    }
    Some(if factor.numer().is_one() {
        Rule::MultiplyBoth(Expr::rational(&factor.recip()))
    } else {
        Rule::DivideBoth(Expr::rational(factor))
    })
}

/// The lines between the problem and the answer; the last may be the answer.
fn between(line: &Line, letter: &str) -> Option<Vec<(Line, Rule)>> {
    let Line::Relations { sides, relations } = line else { return None };
    let ([left, right], [relation]) = (&sides[..], &relations[..]) else {
        return chain(line, letter);
    };
    if let Some(found) = undone(left, right, *relation, letter) {
        return Some(found);
    }
    let (none, mut budget) = (Values::new(), Budget::for_verdict());
    let mut forms = Normaliser::new(&none, &mut budget);
    let (l, r) = (forms.build(left).ok()?, forms.build(right).ok()?);
    let has_denominators = !forms.needs.is_empty();
    let difference = l.minus(&r, &mut budget).ok()?;
    let is = |left: Expr, right: Expr| Line::Relations {
        sides: vec![left, right],
        relations: vec![*relation],
    };
    if has_denominators {
        // Not multiplied by what may be negative: one fraction, compared with zero.
        let together = difference.cancelled(&mut budget).ok()?;
        let (above, below) = (together.numerator().clone(), together.denominator().clone());
        let together = together.to_expr();
        if !forms_a_quotient(&together) {
            return None;
        }
        let mut lines = Vec::new();
        if !r.is_zero() {
            lines.push((is(together.clone(), Expr::int(0)), Rule::MoveToOneSide));
        }
        let factored =
            product_of_factors(&above, &mut budget)?.over(product_of_factors(&below, &mut budget)?);
        let splits = |poly: &Poly, budget: &mut Budget| {
            let all = factors(poly, budget).unwrap_or_default();
            all.iter().map(|(_, exponent)| exponent).sum::<u32>() > 1
        };
        let is_news = splits(&above, &mut budget) || splits(&below, &mut budget);
        if is_news && factored != together && factored != *left {
            lines.push((is(factored, Expr::int(0)), Rule::Factorise));
        }
        return Some(lines);
    }
    let poly = difference.as_poly()?;
    if let Some(lines) = distance(&poly, line, letter, *relation) {
        return Some(lines);
    }
    let one = Univariate::from_poly(&poly, letter)?;
    if let [b, a] = one.coefficients() {
        let term = Univariate::new(vec![from_int(0), a.clone()]).to_expr(letter);
        let typed = l.as_poly().and_then(|poly| Univariate::from_poly(&poly, letter));
        let number = typed.as_ref().and_then(|left| left.coefficients().first());
        let rule = match number {
            Some(number) if !right.symbols().contains(letter) && !number.is_zero() => {
                if number.is_positive() {
                    Rule::SubtractFromBoth(Expr::rational(number))
                } else {
                    Rule::AddToBoth(Expr::rational(&-number))
                }
            }
            _ => Rule::Collect,
        };
        let expanded = is(l.to_expr(), r.to_expr());
        let mut lines = Vec::new();
        if [left, right].into_iter().any(has_brackets) {
            lines.push((expanded, Rule::Expand));
        }
        lines.push((is(term, Expr::rational(&-b)), rule));
        return Some(lines);
    }
    let all = factors(&poly, &mut budget).ok()?;
    let content = poly.number_content();
    let product = all
        .iter()
        .map(|(f, n)| if *n == 1 { f.to_expr() } else { f.to_expr().to_the(*n) })
        .reduce(Expr::times)?;
    let product = if content.is_one() { product } else { Expr::rational(&content).times(product) };
    let moved = is(poly.to_expr(), Expr::int(0));
    let mut lines = Vec::new();
    if !r.is_zero() {
        lines.push((moved, Rule::MoveToOneSide));
    }
    if all.len() > 1 {
        lines.push((is(product, Expr::int(0)), Rule::Factorise));
    }
    Some(lines)
}

/// `2^x > 8` as `2^x > 2^3`, and `√(x - 1) ≥ 2` as `x - 1 ≥ 4`; the lines that follow.
fn undone(
    left: &Expr,
    right: &Expr,
    relation: Relation,
    letter: &str,
) -> Option<Vec<(Line, Rule)>> {
    let value = right.as_plain_number()?;
    let is = |left: Expr, relation: Relation, right: Expr| Line::Relations {
        sides: vec![left, right],
        relations: vec![relation],
    };
    match &left.kind {
        ExprKind::Power(base, exponent) if exponent.symbols().contains(letter) => {
            let size =
                base.as_plain_number().filter(|size| size.is_positive() && !size.is_one())?;
            let ln = |e: &Expr| -> Expr {
                ExprKind::Call { function: Function::Ln, arguments: vec![e.clone()] }.into()
            };
            let power = simplest(&ln(right).over(ln(base)));
            power.as_plain_number()?;
            let same = ExprKind::Power(base.clone(), Box::new(power.clone())).into();
            let rises = size > from_int(1);
            let (turned, rule) = if rises {
                (relation, Rule::RisingPower)
            } else {
                (relation.turned(), Rule::FallingPower)
            };
            Some(vec![
                (is(left.clone(), relation, same), Rule::SameBase((**base).clone())),
                (is((**exponent).clone(), turned, power), rule),
            ])
        }
        // Below a number the root says that there is nothing negative under it.
        ExprKind::Root { index: 2, radicand }
            if matches!(relation, Relation::Greater | Relation::GreaterOrEqual)
                && !value.is_negative() =>
        {
            let square = Expr::rational(&(&value * &value));
            Some(vec![(is((**radicand).clone(), relation, square), Rule::SquareBothPositive)])
        }
        _ => None,
    }
}

fn forms_a_quotient(expr: &Expr) -> bool {
    matches!(expr.kind, ExprKind::Divide(..))
}

/// `a R k x + c R b`: every part loses the number, and is divided by the factor.
fn chain(line: &Line, letter: &str) -> Option<Vec<(Line, Rule)>> {
    let Line::Relations { sides, relations } = line else { return None };
    let [low, middle, high] = &sides[..] else { return None };
    let (none, mut budget) = (Values::new(), Budget::for_verdict());
    let mut forms = Normaliser::new(&none, &mut budget);
    let mut number = |expr: &Expr| forms.build(expr).ok()?.as_constant();
    let (low, high) = (number(low)?, number(high)?);
    let poly = forms.build(middle).ok()?.as_poly()?;
    if !forms.needs.is_empty() {
        return None;
    }
    let one = Univariate::from_poly(&poly, letter)?;
    let [c, k] = one.coefficients() else { return None };
    let write =
        |low: Rational, middle: Expr, high: Rational, relations: Vec<Relation>| Line::Relations {
            sides: vec![Expr::rational(&low), middle, Expr::rational(&high)],
            relations,
        };
    let mut lines = Vec::new();
    let term = Univariate::new(vec![from_int(0), k.clone()]).to_expr(letter);
    let (low, high) = (low - c, high - c);
    if !c.is_zero() {
        let rule = if c.is_positive() {
            Rule::SubtractFromEach(Expr::rational(c))
        } else {
            Rule::AddToEach(Expr::rational(&-c))
        };
        lines.push((write(low.clone(), term, high.clone(), relations.clone()), rule));
    }
    let (low, high) = (low / k, high / k);
    let x = Expr::symbol(letter);
    if k.is_negative() {
        let turned: Vec<Relation> = relations.iter().map(|r| r.turned()).collect();
        lines.push((write(low.clone(), x.clone(), high.clone(), turned), Rule::TurnSign));
        let back: Vec<Relation> = relations.iter().rev().copied().collect();
        lines.push((write(high, x, low, back), Rule::TurnRound));
    } else if !k.is_one() {
        let rule = Rule::DivideEach(Expr::rational(k));
        lines.push((write(low, x, high, relations.clone()), rule));
    }
    Some(lines)
}

/// `|u| < c`: `u` lies between `-c` and `c`; `|u| > c`: beyond one of them.
fn distance(
    poly: &Poly,
    line: &Line,
    letter: &str,
    relation: Relation,
) -> Option<Vec<(Line, Rule)>> {
    let moving: Vec<_> = poly.atoms().into_iter().filter(|a| a.mentions(letter)).collect();
    let [atom] = &moving[..] else { return None };
    let kernel = atom.as_kernel().filter(|k| k.kind == KernelKind::Absolute)?;
    let parts = poly.by_powers_of(atom);
    let [rest, factor] = &parts[..] else { return None };
    let mut budget = Budget::for_verdict();
    let value = crate::normal::Quotient::new(rest.negated(), factor.clone())?;
    let value = value.cancelled(&mut budget).ok()?;
    if constant::sign(&value, &mut budget)? <= 0 {
        return None;
    }
    let flips = constant::poly_sign(factor, &mut budget)? < 0;
    let relation = if flips { relation.turned() } else { relation };
    let mut lines = Vec::new();
    let isolated =
        Line::Relations { sides: vec![atom.to_expr(), value.to_expr()], relations: vec![relation] };
    let typed = match line {
        Line::Relations { sides, .. } => match &sides[0].kind {
            ExprKind::Absolute(inside) if sides[1].symbols().is_empty() => {
                Some((inside, &sides[1]))
            }
            _ => None,
        },
        _ => None,
    };
    let (inside, end) = match typed {
        Some((inside, end)) => ((**inside).clone(), end.clone()),
        None => {
            lines.push((isolated, Rule::Isolate(atom.to_expr())));
            (kernel.arguments[0].to_expr(), value.to_expr())
        }
    };
    let other = negative_of(&end);
    match relation {
        Relation::Less | Relation::LessOrEqual => {
            let between = Line::Relations {
                sides: vec![other, inside, end.clone()],
                relations: vec![relation; 2],
            };
            let more = chain(&between, letter).unwrap_or_default();
            lines.push((between, Rule::NearerThan(end)));
            lines.extend(more);
        }
        Relation::Greater | Relation::GreaterOrEqual => {
            let part = |end: Expr, relation: Relation| Line::Relations {
                sides: vec![inside.clone(), end],
                relations: vec![relation],
            };
            let beyond = any_of(vec![part(other, relation.turned()), part(end.clone(), relation)]);
            lines.push((beyond, Rule::FurtherThan(end)));
        }
        _ => return None,
    }
    Some(lines)
}

fn negative_of(number: &Expr) -> Expr {
    let (none, mut budget) = (Values::new(), Budget::for_verdict());
    let value = Normaliser::new(&none, &mut budget).build(number);
    value.map_or_else(|_| number.clone().negative(), |value| value.negated().to_expr())
}
