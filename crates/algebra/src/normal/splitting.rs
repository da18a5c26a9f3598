//! Splitting a polynomial as far as it goes over the rational numbers, in several letters too: for whoever asks for
//! factors. Verdicts make do with the quicker [`super::factors`].
//!
//! A common factor of the coefficients of a letter is taken out, and so is what stands twice; terms whose exponents lie
//! on one line (`8a³ - b³`, `x⁴ + 5x²y² + 4y⁴`) are a polynomial in one ratio of monomials; a linear factor in two
//! letters shows in the roots where one of them is 0 and where it is 1; what is of the second degree in a letter splits
//! where its discriminant is a square; and a polynomial in one letter is tried by quadratic factors through its values
//! at three numbers (L. Kronecker's method). What none of these splits is given as it is.

use super::divide::{exact_quotient, gcd, square_root};
use super::factor::{primitive, split};
use super::{Atom, Monomial, Poly, Univariate};
use crate::budget::{Budget, Spent};
use crate::number::{Integer, Rational, from_int};
use num_integer::Integer as _;
use num_traits::{One, Signed, ToPrimitive, Zero};

/// Most quadratic candidates that are tried.
const CANDIDATES: usize = 4_000;
/// A letter of our own, which nobody can type.
const RATIO: &str = "ratio of monomials";

/// Factors with their exponents, each primitive with a positive leading coefficient: their product is the polynomial
/// up to a rational factor.
///
/// # Errors
/// [`Spent`] when the budget does not reach.
pub fn irreducible_factors(poly: &Poly, budget: &mut Budget) -> Result<Vec<(Poly, u32)>, Spent> {
    let mut found: Vec<(Poly, u32)> = Vec::new();
    for (part, exponent) in split(poly, budget)? {
        for factor in pieces(&part, budget)? {
            match found.iter_mut().find(|(other, _)| *other == factor) {
                Some((_, times)) => *times += exponent,
                None => found.push((factor, exponent)),
            }
        }
    }
    Ok(found)
}

/// What [`split`] left as one, in its factors.
fn pieces(poly: &Poly, budget: &mut Budget) -> Result<Vec<Poly>, Spent> {
    let atoms: Vec<Atom> = poly.atoms().into_iter().cloned().collect();
    let is_plain = atoms.iter().all(|atom| matches!(atom, Atom::Symbol(_)));
    if !is_plain || poly.len() < 2 {
        return Ok(vec![poly.clone()]);
    }
    if let [Atom::Symbol(letter)] = &atoms[..] {
        // A quadratic of any size: its discriminant tells.
        if let Some(factor) = of_second_degree(poly, &atoms[0], budget)? {
            let rest = exact_quotient(poly, &factor, budget)?.ok_or(Spent)?;
            return Ok(vec![primitive(&factor), primitive(&rest)]);
        }
        let Some(one) = Univariate::from_poly(poly, letter) else { return Ok(vec![poly.clone()]) };
        let all = quadratics(&one, budget)?;
        return Ok(all.iter().map(|part| primitive(&part.to_poly(letter))).collect());
    }
    for atom in &atoms {
        let coefficients = poly.by_powers_of(atom);
        let mut common = Poly::default();
        for coefficient in coefficients.iter().filter(|one| !one.is_zero()) {
            common = gcd(&common, coefficient, budget)?;
        }
        if common.as_constant().is_none() {
            return both(&common, poly, budget);
        }
    }
    for atom in &atoms {
        let common = gcd(poly, &derivative(poly, atom, budget)?, budget)?;
        if common.as_constant().is_none() {
            return both(&common, poly, budget);
        }
    }
    if let Some(found) = on_a_line(poly, &atoms, budget)? {
        return Ok(found);
    }
    if let [one, other] = &atoms[..] {
        for (x, y) in [(one, other), (other, one)] {
            if let Some(factor) = linear_factor(poly, x, y, budget)? {
                return both(&factor, poly, budget);
            }
        }
    }
    for atom in &atoms {
        if let Some(factor) = of_second_degree(poly, atom, budget)? {
            return both(&factor, poly, budget);
        }
    }
    Ok(vec![poly.clone()])
}

/// The factors of `factor`, and of what is left of `poly` without it.
fn both(factor: &Poly, poly: &Poly, budget: &mut Budget) -> Result<Vec<Poly>, Spent> {
    let factor = primitive(factor);
    let Some(rest) = exact_quotient(poly, &factor, budget)? else { return Ok(vec![poly.clone()]) };
    // What is a factor of itself alone does not split.
    if factor.as_constant().is_some() || rest.as_constant().is_some() {
        return Ok(vec![primitive(poly)]);
    }
    let mut found = Vec::new();
    for part in [factor, primitive(&rest)] {
        for (one, exponent) in irreducible_factors(&part, budget)? {
            found.extend((0..exponent).map(|_| one.clone()));
        }
    }
    Ok(found)
}

/// The derivative by one letter: what it shares with the polynomial is there twice.
fn derivative(poly: &Poly, atom: &Atom, budget: &mut Budget) -> Result<Poly, Spent> {
    let letter = Poly::atom(atom.clone());
    let mut sum = Poly::default();
    for (power, coefficient) in (0u32..).zip(poly.by_powers_of(atom)).skip(1) {
        let term = letter.power(power - 1, budget)?.multiply(&coefficient, budget)?;
        sum = sum.add(&term.scale(&from_int(i64::from(power))), budget)?;
    }
    Ok(sum)
}

/// A factor `x - (a + b y)`: where `y` is 0 and where it is 1, `x` is a rational root.
fn linear_factor(
    poly: &Poly,
    x: &Atom,
    y: &Atom,
    budget: &mut Budget,
) -> Result<Option<Poly>, Spent> {
    let Atom::Symbol(name) = x else { return Ok(None) };
    let mut roots_at = |value: i64| -> Result<Vec<Rational>, Spent> {
        let mut flat = Poly::default();
        for (power, coefficient) in (0i32..).zip(poly.by_powers_of(y)) {
            let factor = num_traits::Pow::pow(&from_int(value), power);
            flat = flat.add(&coefficient.scale(&factor), budget)?;
        }
        let one = Univariate::from_poly(&flat, name).filter(|one| one.degree() > 0);
        Ok(one.and_then(|one| one.rational_roots()).unwrap_or_default())
    };
    let (at_0, at_1) = (roots_at(0)?, roots_at(1)?);
    for a in &at_0 {
        for end in &at_1 {
            let slope = Poly::atom(y.clone()).scale(&(a - end));
            let rest = slope.add(&Poly::constant(-a), budget)?;
            let factor = Poly::atom(x.clone()).add(&rest, budget)?;
            if exact_quotient(poly, &factor, budget)?.is_some() {
                return Ok(Some(factor));
            }
        }
    }
    Ok(None)
}

/// A factor of `A v² + B v + C` where `B² - 4AC` is a square.
fn of_second_degree(poly: &Poly, atom: &Atom, budget: &mut Budget) -> Result<Option<Poly>, Spent> {
    let coefficients = poly.by_powers_of(atom);
    let [c, b, a] = &coefficients[..] else { return Ok(None) };
    let four = a.multiply(c, budget)?.scale(&from_int(-4));
    let discriminant = b.multiply(b, budget)?.add(&four, budget)?;
    let Some(root) = square_root(&discriminant, budget)? else { return Ok(None) };
    let lead = a.scale(&from_int(2));
    let rest = b.add(&root.negated(), budget)?;
    let shared = gcd(&lead, &rest, budget)?;
    let (Some(lead), Some(rest)) =
        (exact_quotient(&lead, &shared, budget)?, exact_quotient(&rest, &shared, budget)?)
    else {
        return Ok(None);
    };
    let factor = lead.multiply(&Poly::atom(atom.clone()), budget)?.add(&rest, budget)?;
    // Whatever the signs of roots were, what divides is a factor.
    Ok(exact_quotient(poly, &factor, budget)?.map(|_| factor))
}

/// Terms whose exponents lie on one line: the factors as those of a polynomial in one letter; `None` where they do
/// not, or it does not split.
fn on_a_line(poly: &Poly, atoms: &[Atom], budget: &mut Budget) -> Result<Option<Vec<Poly>>, Spent> {
    let exponents = |monomial: &Monomial| -> Vec<i64> {
        atoms.iter().map(|atom| i64::from(monomial.exponent(atom))).collect()
    };
    let mut terms = poly.terms().map(|(monomial, c)| (exponents(monomial), c.clone()));
    let Some((start, first)) = terms.next() else { return Ok(None) };
    let mut direction: Vec<i64> = Vec::new();
    let mut places: Vec<(i64, Rational)> = vec![(0, first)];
    for (at, coefficient) in terms {
        let step: Vec<i64> = at.iter().zip(&start).map(|(a, b)| a - b).collect();
        if direction.is_empty() {
            let divisor = step.iter().fold(0, |all: i64, one| all.gcd(one)).max(1);
            direction = step.iter().map(|one| one / divisor).collect();
        }
        let Some(axis) = direction.iter().position(|one| *one != 0) else { return Ok(None) };
        let place = step[axis] / direction[axis];
        if direction.iter().zip(&step).any(|(one, whole)| one * place != *whole) {
            return Ok(None);
        }
        places.push((place, coefficient));
    }
    let low = places.iter().map(|(place, _)| *place).min().unwrap_or(0);
    let high = places.iter().map(|(place, _)| *place).max().unwrap_or(0);
    let degree = usize::try_from(high - low).unwrap_or(usize::MAX);
    if !(2..=64).contains(&degree) {
        return Ok(None);
    }
    let mut coefficients = vec![Rational::zero(); degree + 1];
    for (place, coefficient) in places {
        coefficients[usize::try_from(place - low).map_err(|_| Spent)?] = coefficient;
    }
    let one = Univariate::new(coefficients).to_poly(RATIO);
    let all = irreducible_factors(&one, budget)?;
    if all.iter().map(|(_, exponent)| exponent).sum::<u32>() < 2 {
        return Ok(None);
    }
    // The ratio is `above / below`; each factor times the power of `below` that makes it whole.
    let side = |sign: i64| {
        let mut monomial = Monomial::default();
        for (atom, exponent) in atoms.iter().zip(&direction) {
            monomial.set(atom, u32::try_from(exponent * sign).unwrap_or(0));
        }
        Poly::term(monomial, Rational::one())
    };
    let (above, below) = (side(1), side(-1));
    let mut found = Vec::new();
    for (factor, exponent) in all {
        let parts = factor.by_powers_of(&Atom::symbol(RATIO));
        let degree = u32::try_from(parts.len() - 1).map_err(|_| Spent)?;
        let mut sum = Poly::default();
        for (power, coefficient) in (0..).zip(&parts) {
            let monomial = above
                .power(power, budget)?
                .multiply(&below.power(degree - power, budget)?, budget)?;
            sum = sum.add(&monomial.multiply(coefficient, budget)?, budget)?;
        }
        found.extend((0..exponent).map(|_| primitive(&sum)));
    }
    Ok(Some(found))
}

/// A polynomial in one letter without rational roots, in its quadratic factors and what is left.
fn quadratics(poly: &Univariate, budget: &mut Budget) -> Result<Vec<Univariate>, Spent> {
    let mut found = Vec::new();
    let mut rest = poly.clone();
    while rest.degree() >= 4 {
        let Some(factor) = quadratic_factor(&rest, budget)? else { break };
        let Some(quotient) = rest.exact_quotient(&factor, budget)? else { break };
        found.push(factor);
        rest = quotient;
    }
    found.push(rest);
    Ok(found)
}

fn quadratic_factor(poly: &Univariate, budget: &mut Budget) -> Result<Option<Univariate>, Spent> {
    let scale = poly.coefficients().iter().fold(Integer::one(), |all, c| all.lcm(c.denom()));
    let value =
        |x: i64| (poly.at(&from_int(x)) * Rational::from_integer(scale.clone())).to_integer();
    let divisors = |x: i64| -> Option<Vec<i64>> {
        let size = value(x).abs().to_i64().filter(|size| *size > 0 && *size <= 100_000)?;
        Some((1..=size).filter(|d| size % d == 0).collect())
    };
    let (Some(at_0), Some(at_1), Some(at_2)) = (divisors(0), divisors(1), divisors(-1)) else {
        return Ok(None);
    };
    if at_0.len() * at_1.len() * at_2.len() * 4 > CANDIDATES {
        return Ok(None);
    }
    let both_signs = |all: &[i64]| -> Vec<i64> { all.iter().flat_map(|d| [*d, -*d]).collect() };
    for c in &at_0 {
        for p in both_signs(&at_1) {
            for q in both_signs(&at_2) {
                budget.spend(2)?;
                // a + b + c = p and a - b + c = q.
                if (p + q) % 2 != 0 {
                    continue;
                }
                let (a, b) = ((p + q) / 2 - c, (p - q) / 2);
                if a == 0 {
                    continue;
                }
                let factor = Univariate::new([*c, b, a].map(from_int).to_vec());
                if poly.exact_quotient(&factor, budget)?.is_some() {
                    return Ok(Some(factor));
                }
            }
        }
    }
    Ok(None)
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::normal::{Normaliser, Values};

    fn factors_of(text: &str) -> Vec<String> {
        let crate::Line::Expression(expr) = crate::read_line(text).expect("read").line else {
            panic!("{text} is an expression")
        };
        let (none, mut budget) = (Values::new(), Budget::for_verdict());
        let poly = Normaliser::new(&none, &mut budget).build(&expr).expect("built").as_poly();
        let poly = poly.expect("a polynomial");
        let all = irreducible_factors(&poly, &mut budget).expect("within budget");
        let mut product = Poly::constant(poly.number_content());
        let mut told: Vec<String> = Vec::new();
        for (factor, exponent) in &all {
            product = product
                .multiply(&factor.power(*exponent, &mut budget).expect("small"), &mut budget)
                .expect("small");
            let text = crate::write::text(&factor.to_expr());
            told.push(if *exponent == 1 { text } else { format!("({text})^{exponent}") });
        }
        assert_eq!(product, poly, "the product of the factors of {text}");
        told.sort();
        told
    }

    #[test]
    #[rustfmt::skip]
    fn polynomials_split_as_far_as_they_go() {
        for (text, factors) in [
            ("2ax + 2ay + bx + by",          "2a + b | x + y"),
            ("x^2 - y^2",                    "x + y | x - y"),
            ("x^4 - y^4",                    "x + y | x - y | x^2 + y^2"),
            ("8a^3 - 27b^3",                 "2a - 3b | 4a^2 + 6ab + 9b^2"),
            ("x^3y^3 + 8",                   "xy + 2 | x^2y^2 - 2xy + 4"),
            ("x^2 + 5xy + 6y^2",             "x + 2y | x + 3y"),
            ("x^2 + 2xy + y^2 - 9",          "x + y + 3 | x + y - 3"),
            ("x^2 - y^2 + 2x + 1",           "x + y + 1 | x - y + 1"),
            ("xy + 2x + 3y + 6",             "x + 3 | y + 2"),
            ("x^2y - 4y",                    "x + 2 | x - 2 | y"),
            ("a^2b - ab^2",                  "a | a - b | b"),
            ("x^4 + 4",                      "x^2 + 2x + 2 | x^2 - 2x + 2"),
            ("x^4 + x^2 + 1",                "x^2 + x + 1 | x^2 - x + 1"),
            ("x^4 - 5x^2 + 6",               "x^2 - 2 | x^2 - 3"),
            ("x^6 - y^6",                    "x + y | x - y | x^2 + xy + y^2 | x^2 - xy + y^2"),
            ("x^4 + 4y^4",                   "x^2 + 2xy + 2y^2 | x^2 - 2xy + 2y^2"),
            ("x^5 - 1",                      "x - 1 | x^4 + x^3 + x^2 + x + 1"),
            ("x^2 + y^2",                    "x^2 + y^2"),
            ("x^2 + xy + 1",                 "x^2 + xy + 1"),
            ("4x^2 - 12xy + 9y^2",           "(2x - 3y)^2"),
            ("a^2 + b^2 + c^2 + 2ab + 2bc + 2ca", "(a + b + c)^2"),
            ("ab + bc + ca + b^2",           "a + b | b + c"),
        ] {
            let mut factors: Vec<&str> = factors.split(" | ").collect();
            factors.sort_unstable();
            assert_eq!(factors_of(text), factors, "{text}");
        }
    }
}
