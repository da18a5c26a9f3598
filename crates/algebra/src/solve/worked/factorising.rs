//! A polynomial factorised as on a board: first what all terms share, then the pattern that is seen in the rest.

use crate::budget::Budget;
use crate::expr::{Expr, ExprKind};
use crate::normal::divide::square_root;
use crate::normal::{
    Atom, Monomial, Normaliser, Poly, Univariate, Values, exact_quotient, gcd, irreducible_factors,
};
use crate::number::{Rational, exact_root, from_int};
use crate::rule::Rule;
use num_traits::{One, Signed, ToPrimitive, Zero};

/// The lines from a polynomial to its factors, each with its reason, the answer last; empty where it does not split.
#[must_use]
pub fn factorising(poly: &Poly) -> Vec<(Expr, Rule)> {
    let mut budget = Budget::for_verdict();
    lines(poly, &mut budget).unwrap_or_default()
}

/// A polynomial as the product of its factors, with letters before brackets: `x(x + 1)`;
/// `None` when the budget does not reach.
pub fn product_of_factors(poly: &Poly, budget: &mut Budget) -> Option<Expr> {
    let all = irreducible_factors(poly, budget).ok()?;
    let (mut single, mut sums): (Vec<_>, Vec<_>) =
        all.into_iter().partition(|(factor, _)| factor.len() == 1);
    // The short brackets first: (x - 2)(x² + 2x + 4).
    sums.sort_by_key(|(factor, _)| (degree(factor), factor.len()));
    single.extend(sums);
    let power = |(factor, exponent): &(Poly, u32)| {
        let factor = factor.to_expr();
        if *exponent == 1 { factor } else { factor.to_the(*exponent) }
    };
    Some(with_number(&poly.number_content(), single.iter().map(power)))
}

/// `number × product`, as it is read: from the left.
fn with_number(number: &Rational, factors: impl Iterator<Item = Expr>) -> Expr {
    let size = number.abs();
    let product = if size.is_one() {
        factors.reduce(Expr::times)
    } else {
        Some(factors.fold(Expr::rational(&size), Expr::times))
    };
    let product = product.unwrap_or_else(|| Expr::int(1));
    if number.is_negative() { product.negative() } else { product }
}

fn degree(poly: &Poly) -> u32 {
    poly.terms().map(|(monomial, _)| monomial.degree()).max().unwrap_or(0)
}

fn lines(poly: &Poly, budget: &mut Budget) -> Option<Vec<(Expr, Rule)>> {
    let answer = product_of_factors(poly, budget)?;
    if poly.len() < 2 || answer == poly.to_expr() {
        return None;
    }
    let mut content = poly.number_content();
    // 16 - x² is (4 - x)(4 + x) rather than -(x - 4)(x + 4).
    if content.is_negative() && poly.len() == 2 && poly.terms().any(|(_, c)| c.is_positive()) {
        content = -content;
    }
    let monomial = poly.monomial_content();
    let rest = poly.without(&monomial).scale(&content.recip());
    let shared = Poly::term(monomial, content.clone());
    let mut found: Vec<(Expr, Rule)> = Vec::new();
    let is_shared = shared.as_constant().is_none_or(|number| !number.is_one());
    if is_shared {
        let line = before(&shared, rest.to_expr());
        let rule = match shared.as_constant() {
            Some(number) if (-number.clone()).is_one() => Rule::TakeOut(Expr::int(-1)),
            _ => Rule::TakeOut(shared.to_expr()),
        };
        found.push((line, rule));
    }
    let seen = pattern(&rest, budget).unwrap_or_default();
    let mut last = Rule::Factorise;
    for step in seen {
        match step {
            Seen::Line(line, rule) => {
                found.push((if is_shared { before(&shared, line) } else { line }, rule))
            }
            Seen::Answer(rule) => last = rule,
        }
    }
    // The answer is a line of its own, or the last of the others written in its order.
    match found.last_mut() {
        Some((line, _)) if is_same_product(line, &answer, budget) => {
            if !turned(&content, poly) {
                *line = answer;
            }
        }
        _ => found.push((answer, last)),
    }
    Some(found)
}

/// Whether the sign that the factors would have was put into one of them.
fn turned(content: &Rational, poly: &Poly) -> bool {
    content.is_positive() && poly.number_content().is_negative()
}

/// Whether two products have the same factors, in whichever order and with whichever signs.
fn is_same_product(a: &Expr, b: &Expr, budget: &mut Budget) -> bool {
    let mut parts = |expr: &Expr| -> Option<Vec<Poly>> {
        let mut written = Vec::new();
        multiplied(expr, &mut written);
        let none = Values::new();
        let mut forms = Normaliser::new(&none, budget);
        let polys = written.iter().map(|part| forms.build(part).ok()?.as_poly());
        let mut polys: Vec<Poly> = polys.collect::<Option<_>>()?;
        for poly in &mut polys {
            *poly = poly.scale(&poly.number_content().recip());
        }
        polys.retain(|poly| poly.as_constant().is_none());
        polys.sort();
        Some(polys)
    };
    parts(a).is_some_and(|one| parts(b).is_some_and(|other| one == other))
}

/// The factors of a product as they are written.
fn multiplied(expr: &Expr, found: &mut Vec<Expr>) {
    match &expr.kind {
        ExprKind::Multiply(a, b) => {
            multiplied(a, found);
            multiplied(b, found);
        }
        ExprKind::Negative(a) => multiplied(a, found),
        _ => found.push(expr.clone()),
    }
}

/// What all terms share, before a bracket or a product.
fn before(shared: &Poly, rest: Expr) -> Expr {
    let is_negative = shared.leading().is_negative();
    let size = if is_negative { shared.negated() } else { shared.clone() };
    let product = match size.as_constant() {
        Some(number) if number.is_one() => rest,
        _ => leaning_left(size.to_expr(), rest),
    };
    if is_negative { product.negative() } else { product }
}

/// `factor × product`, as it is read: from the left.
fn leaning_left(factor: Expr, product: Expr) -> Expr {
    match product.kind {
        ExprKind::Multiply(a, b) => leaning_left(factor, *a).times(*b),
        _ => factor.times(product),
    }
}

/// What is seen in a polynomial whose terms share nothing.
enum Seen {
    /// A line on the way.
    Line(Expr, Rule),
    /// Why the answer follows.
    Answer(Rule),
}

fn pattern(poly: &Poly, budget: &mut Budget) -> Option<Vec<Seen>> {
    if let Some(found) = two_powers(poly) {
        return Some(found);
    }
    if let Some(root) = square_root(poly, budget).ok()? {
        let square = root.scale(&root.number_content().recip()).to_expr().to_the(2);
        return Some(vec![
            Seen::Line(square, Rule::PerfectSquare),
            Seen::Answer(Rule::FactoriseAgain),
        ]);
    }
    let letters: Vec<Atom> = poly.atoms().into_iter().cloned().collect();
    if let [Atom::Symbol(letter)] = &letters[..]
        && let Some(one) = Univariate::from_poly(poly, letter)
    {
        return of_one_letter(&one, letter, budget);
    }
    in_pairs(poly, budget)
}

/// A difference of two squares, or a sum or difference of two cubes.
fn two_powers(poly: &Poly) -> Option<Vec<Seen>> {
    if poly.len() != 2 {
        return None;
    }
    let mut terms = terms_of(poly);
    // The term that is added stands first.
    terms.sort_by_key(|term| term.leading().is_negative());
    let is_difference = terms[1].leading().is_negative();
    if terms[0].leading().is_negative() {
        return None;
    }
    for index in [2, 3] {
        if index == 2 && !is_difference {
            continue;
        }
        let roots = terms.iter().map(|term| {
            let (monomial, c) = term.as_term()?;
            root(monomial, &c.abs(), index)
        });
        let Some(roots) = roots.collect::<Option<Vec<Poly>>>() else { continue };
        let [a, b] = [&roots[0], &roots[1]].map(Poly::to_expr);
        let [first, second] = [a.clone(), b.clone()].map(|one| one.to_the(index));
        let written = if is_difference { first.minus(second) } else { first.plus(second) };
        let (product, write, rule) = if index == 2 {
            let product = a.clone().minus(b.clone()).times(a.plus(b));
            (product, Rule::WriteAsSquares, Rule::DifferenceOfSquares)
        } else {
            let mut budget = Budget::for_verdict();
            let mut times = |one: &Poly, other: &Poly| one.multiply(other, &mut budget).ok();
            let (square, between, last) = (
                times(&roots[0], &roots[0])?.to_expr(),
                times(&roots[0], &roots[1])?.to_expr(),
                times(&roots[1], &roots[1])?.to_expr(),
            );
            let (short, long, rule) = if is_difference {
                (a.minus(b), square.plus(between), Rule::DifferenceOfCubes)
            } else {
                (a.plus(b), square.minus(between), Rule::SumOfCubes)
            };
            (short.times(long.plus(last)), Rule::WriteAsCubes, rule)
        };
        return Some(vec![
            Seen::Line(written, write),
            Seen::Line(product, rule),
            Seen::Answer(Rule::FactoriseAgain),
        ]);
    }
    None
}

/// The term whose square or cube this is.
fn root(monomial: &Monomial, coefficient: &Rational, index: u32) -> Option<Poly> {
    let number = exact_root(coefficient, index)?;
    let mut half = Monomial::default();
    for (atom, exponent) in monomial.iter() {
        if exponent % index != 0 {
            return None;
        }
        half.set(atom, exponent / index);
    }
    Some(Poly::term(half, number))
}

fn of_one_letter(poly: &Univariate, letter: &str, budget: &mut Budget) -> Option<Vec<Seen>> {
    let coefficients = poly.coefficients();
    let name = || Expr::symbol(letter);
    match poly.degree() {
        2 => {
            let whole = |at: usize| {
                coefficients[at].is_integer().then(|| coefficients[at].to_integer().to_i64())?
            };
            let (c, b, a) = (whole(0)?, whole(1)?, whole(2)?);
            let (p, q) = pair(a.checked_mul(c)?, b)?;
            let pair_rule = Rule::FactorPair {
                pair: [p, q].map(Expr::int),
                product: Expr::int(a * c),
                sum: Expr::int(b),
            };
            if a == 1 {
                return Some(vec![Seen::Answer(pair_rule)]);
            }
            // 6x² + 4x - 3x - 2, and then 2x(3x + 2) - (3x + 2).
            let term = |factor: i64, power: u32| {
                let mut monomial = Monomial::default();
                monomial.set(&Atom::symbol(letter), power);
                Poly::term(monomial, from_int(factor))
            };
            let four = [term(a, 2), term(p, 1), term(q, 1), term(c, 0)];
            let split = four.iter().skip(1).fold(four[0].to_expr(), joined);
            let mut found = vec![Seen::Line(split, pair_rule)];
            found.extend(grouped([&four[0], &four[1]], [&four[2], &four[3]], budget));
            Some(found)
        }
        // x⁴ - 5x² + 4 as a quadratic in x².
        4 if coefficients[1].is_zero() && coefficients[3].is_zero() => {
            let square = name().to_the(2);
            let half =
                Univariate::new([0, 2, 4].map(|at: usize| coefficients[at].clone()).to_vec());
            let roots = half.rational_roots().filter(|roots| !roots.is_empty())?;
            let mut factors = Vec::new();
            let mut rest = half;
            for at in roots {
                let factor = Univariate::new(vec![-at, Rational::one()]);
                rest = rest.exact_quotient(&factor, budget).ok()??;
                factors.push(factor);
            }
            factors.push(rest);
            let squares = |part: &Univariate| {
                let spread = part.coefficients().iter().flat_map(|c| [c.clone(), Rational::zero()]);
                let mut spread: Vec<Rational> = spread.collect();
                spread.pop();
                Univariate::new(spread).to_expr(letter)
            };
            let is_one = |part: &Univariate| part.degree() == 0 && part.coefficients()[0].is_one();
            let product =
                factors.iter().filter(|part| !is_one(part)).map(squares).reduce(Expr::times)?;
            Some(vec![
                Seen::Line(product, Rule::TreatAsOne(square)),
                Seen::Answer(Rule::FactoriseAgain),
            ])
        }
        degree if degree >= 3 => {
            if let [a, b, c, d] = &terms_of(&poly.to_poly(letter))[..] {
                let found = grouped([a, b], [c, d], budget);
                if !found.is_empty() {
                    return Some(found);
                }
            }
            let at =
                poly.rational_roots()?.into_iter().min_by_key(|at| (at.abs(), at.is_negative()))?;
            let factor = Univariate::new(vec![-at.clone(), Rational::one()]);
            let rest = poly.exact_quotient(&factor, budget).ok()??;
            let product = factor.to_expr(letter).times(rest.to_expr(letter));
            let is_whole = at.is_integer();
            let rule = Rule::ZeroAt(name(), Expr::rational(&at), factor.to_expr(letter));
            is_whole.then(|| vec![Seen::Line(product, rule), Seen::Answer(Rule::FactoriseAgain)])
        }
        _ => None,
    }
}

/// The terms as they are written, the highest first.
fn terms_of(poly: &Poly) -> Vec<Poly> {
    let mut terms: Vec<(&Monomial, &Rational)> = poly.terms().collect();
    terms.sort_by(|a, b| b.0.degree().cmp(&a.0.degree()).then_with(|| b.0.cmp(a.0)));
    terms.into_iter().map(|(monomial, c)| Poly::term(monomial.clone(), c.clone())).collect()
}

/// Two whole numbers that multiply to `product` and add to `sum`, the smaller in size first.
fn pair(product: i64, sum: i64) -> Option<(i64, i64)> {
    let (product, sum) = (i128::from(product), i128::from(sum));
    let square = sum * sum - 4 * product;
    let root = i128::try_from(num_integer::Roots::sqrt(&u128::try_from(square).ok()?)).ok()?;
    if root * root != square || (sum + root) % 2 != 0 {
        return None;
    }
    let half = |twice: i128| i64::try_from(twice / 2).ok();
    let (p, q) = (half(sum - root)?, half(sum + root)?);
    Some(if p.abs() <= q.abs() { (p, q) } else { (q, p) })
}

/// A sum with one more term, its sign as an operation.
fn joined(sum: Expr, term: &Poly) -> Expr {
    match term.as_term() {
        Some((_, c)) if c.is_negative() => sum.minus(term.negated().to_expr()),
        _ => sum.plus(term.to_expr()),
    }
}

/// Four terms in two pairs that share a bracket: the line with both, and their product.
fn grouped(first: [&Poly; 2], second: [&Poly; 2], budget: &mut Budget) -> Vec<Seen> {
    let mut found = || -> Option<Vec<Seen>> {
        let [one, other] = [first, second].map(|[a, b]| a.add(b, budget).ok());
        let (one, other) = (one?, other?);
        let bracket = gcd(&one, &other, budget).ok()?;
        if bracket.len() != 2 {
            return None;
        }
        let out = exact_quotient(&one, &bracket, budget).ok()??;
        let rest = exact_quotient(&other, &bracket, budget).ok()??;
        let of = |factor: &Poly| match factor.as_constant() {
            Some(number) if number.is_one() => bracket.to_expr(),
            _ => factor.to_expr().times(bracket.to_expr()),
        };
        let is_negative = rest.leading().is_negative();
        let line = if is_negative {
            of(&out).minus(of(&rest.negated()))
        } else {
            of(&out).plus(of(&rest))
        };
        let product = bracket.to_expr().times(out.add(&rest, budget).ok()?.to_expr());
        Some(vec![
            Seen::Line(line, Rule::TakeOutOfPairs),
            Seen::Line(product, Rule::TakeOut(bracket.to_expr())),
            Seen::Answer(Rule::FactoriseAgain),
        ])
    };
    found().unwrap_or_default()
}

/// Four terms, in whichever pairs share a bracket.
fn in_pairs(poly: &Poly, budget: &mut Budget) -> Option<Vec<Seen>> {
    let terms = terms_of(poly);
    let [a, b, c, d] = &terms[..] else { return None };
    [([a, b], [c, d]), ([a, c], [b, d]), ([a, d], [b, c])].into_iter().find_map(|(one, other)| {
        let found = grouped(one, other, budget);
        (!found.is_empty()).then_some(found)
    })
}
