//! Proportions `a/b = c/d` with one term missing.
//!
//! Source of the methods: Euclid, *Elements*, book VII, proposition 19 (the product of the extremes
//! equals the product of the means); scaling and unit rates are the same statement read by columns and
//! by rows.

use crate::expr::{Expr, ExprKind};
use crate::line::Line;
use crate::number::Rational;
use crate::role::Role;
use crate::rule::{Rule, Step, Unsolved};
use crate::solve::worked::steps::Style;
use num_traits::{One, Zero};

/// Where the missing term stands in `a/b = c/d`.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub enum Place {
    /// `n/b = c/d`
    FirstTop,
    /// `a/n = c/d`
    FirstBottom,
    /// `a/b = n/d`
    SecondTop,
    /// `a/b = c/n`
    SecondBottom,
}

impl Place {
    /// All four, in the order of the terms.
    pub const ALL: [Self; 4] =
        [Self::FirstTop, Self::FirstBottom, Self::SecondTop, Self::SecondBottom];
}

/// How a proportion is solved.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub enum ProportionMethod {
    /// Cross-multiply and divide.
    CrossMultiply,
    /// Find by how much the known pair is scaled.
    ScaleFactor,
    /// Find how much goes with one.
    UnitRate,
}

/// `a/b = c/d` with a letter in one place and nonzero numbers in the others.
#[derive(Debug, Clone, PartialEq, Eq)]
pub struct Proportion {
    terms: [Rational; 4],
    place: Place,
    letter: String,
    with_colons: bool,
}

impl Proportion {
    /// From the three known terms in order; the term at `place` is passed over.
    /// `None` when a known term is zero.
    #[must_use]
    pub fn new(
        terms: [Rational; 4],
        place: Place,
        letter: &str,
        with_colons: bool,
    ) -> Option<Self> {
        let at = Place::ALL.iter().position(|&p| p == place)?;
        let known = terms.iter().enumerate().filter(|(index, _)| *index != at);
        let fits = known.map(|(_, term)| term).all(|term| !term.is_zero());
        fits.then(|| Self { terms, place, letter: letter.to_owned(), with_colons })
    }

    /// Reads a line as a proportion. `None` when it is something else.
    #[must_use]
    pub fn of(line: &Line) -> Option<Self> {
        let (left, right) = line.as_equation()?;
        let pair = |side: &Expr| match &side.kind {
            ExprKind::Divide(a, b) => Some((vec![*a.clone(), *b.clone()], false)),
            ExprKind::Ratio(parts) if parts.len() == 2 => Some((parts.clone(), true)),
            _ => None,
        };
        let ((mut all, left_colon), (second, right_colon)) = (pair(left)?, pair(right)?);
        all.extend(second);
        let mut letter = None;
        let mut terms = [const { None }; 4];
        for (index, term) in all.iter().enumerate() {
            match &term.kind {
                ExprKind::Symbol(name) if letter.is_none() => letter = Some((index, name.clone())),
                _ => terms[index] = Some(term.as_plain_number()?),
            }
        }
        let (at, letter) = letter?;
        let terms = terms.map(|term| term.unwrap_or_else(Rational::one));
        Self::new(terms, Place::ALL[at], &letter, left_colon && right_colon)
    }

    fn at(&self) -> usize {
        Place::ALL.iter().position(|&p| p == self.place).unwrap_or(0)
    }

    /// The partner of the missing term (in its row of the other ratio), the other term of its own
    /// ratio, and that one's partner.
    fn parts(&self) -> (&Rational, &Rational, &Rational) {
        let at = self.at();
        (&self.terms[at ^ 2], &self.terms[at ^ 1], &self.terms[at ^ 3])
    }

    /// The missing term.
    #[must_use]
    pub fn answer(&self) -> Rational {
        let (partner, own, other) = self.parts();
        partner * own / other
    }

    /// The letter that stands for it.
    #[must_use]
    pub fn letter(&self) -> &str {
        &self.letter
    }

    /// The terms in order, the missing one worked out.
    #[must_use]
    pub fn completed(&self) -> [Rational; 4] {
        let mut terms = self.terms.clone();
        terms[self.at()] = self.answer();
        terms
    }

    /// Where the missing term stands.
    #[must_use]
    pub fn place(&self) -> Place {
        self.place
    }

    /// As a line, written with fractions or with colons.
    #[must_use]
    pub fn line(&self, with_colons: bool, decimals: bool) -> Line {
        let style = if decimals { Style::Decimals } else { Style::Fractions };
        let mut shown = self.terms.iter().map(|term| style.number(term)).collect::<Vec<_>>();
        shown[self.at()] = Expr::symbol(&self.letter);
        let pair = |a: &Expr, b: &Expr| {
            if with_colons {
                ExprKind::Ratio(vec![a.clone(), b.clone()]).into()
            } else {
                a.clone().over(b.clone())
            }
        };
        Line::equation(pair(&shown[0], &shown[1]), pair(&shown[2], &shown[3]))
    }
}

/// Solves a proportion for its missing term.
///
/// # Errors
/// [`Unsolved::NotThisKind`] when the line is no proportion with one missing term.
pub fn solve_proportion(line: &Line, method: ProportionMethod) -> Result<Vec<Step>, Unsolved> {
    let proportion = Proportion::of(line).ok_or(Unsolved::NotThisKind)?;
    let style = Style::of(line);
    let number = |value: &Rational| style.number(value);
    let letter = Expr::symbol(&proportion.letter);
    let (partner, own, other) = proportion.parts();
    let answer = proportion.answer();
    let mut steps = vec![Step { line: line.clone(), rule: Rule::Given, role: Role::Starts }];
    let mut push = |line, rule, role| steps.push(Step { line, rule, role });
    let follows = Role::Follows;
    let side = |left: Expr, right: Expr| Line::equation(left, right);
    match method {
        ProportionMethod::CrossMultiply => {
            if proportion.with_colons {
                let decimals = style == Style::Decimals;
                push(proportion.line(false, decimals), Rule::WriteAsFractions, follows);
            }
            let product = number(partner).times(number(own));
            let across = side(letter.clone().times(number(other)), product);
            push(across, Rule::CrossMultiply, follows);
            let made = partner * own;
            if other.is_one() {
                push(side(letter, number(&made)), Rule::Evaluate, Role::Concludes);
            } else {
                let both = side(number(other).times(letter.clone()), number(&made));
                push(both, Rule::Evaluate, follows);
                let rule = Rule::DivideBoth(number(other));
                push(side(letter, number(&answer)), rule, Role::Concludes);
            }
        }
        ProportionMethod::ScaleFactor => {
            let factor = own / other;
            let quotient = number(own).over(number(other));
            if quotient != number(&factor) {
                push(side(quotient, number(&factor)), Rule::ScaleFactor, Role::Checks);
            }
            let scaled = side(letter.clone(), number(partner).times(number(&factor)));
            push(scaled, Rule::ScalePartner(number(&factor)), follows);
            push(side(letter, number(&answer)), Rule::Evaluate, Role::Concludes);
        }
        ProportionMethod::UnitRate => {
            let rate = partner / other;
            let quotient = number(partner).over(number(other));
            if quotient != number(&rate) {
                push(side(quotient, number(&rate)), Rule::UnitRate, Role::Checks);
            }
            let own = number(own);
            push(side(letter.clone().over(own.clone()), number(&rate)), Rule::Evaluate, follows);
            let product = side(letter.clone(), own.clone().times(number(&rate)));
            push(product, Rule::MultiplyBoth(own), follows);
            push(side(letter, number(&answer)), Rule::Evaluate, Role::Concludes);
        }
    }
    Ok(steps)
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::write::text_line;
    use crate::{StepVerdict, compare, judge_alone, read_line};

    #[track_caller]
    fn board(method: ProportionMethod, problem: &str) -> Vec<String> {
        let line = read_line(problem).expect("readable").line;
        let steps = solve_proportion(&line, method).expect("a proportion");
        let mut above = &steps[0].line;
        for step in &steps[1..] {
            let verdict = match step.role {
                Role::Checks => judge_alone(&step.line),
                _ => compare(above, &step.line, None),
            };
            let holds = matches!(verdict, StepVerdict::Equivalent { .. });
            assert!(holds, "{problem}: {}", text_line(&step.line));
            if step.role != Role::Checks {
                above = &step.line;
            }
        }
        steps[1..].iter().map(|step| text_line(&step.line)).collect()
    }

    #[test]
    #[rustfmt::skip]
    fn the_missing_term_is_found_by_each_method() {
        use ProportionMethod::*;
        for (method, problem, lines) in [
            (CrossMultiply, "n/6 = 10/15", &["n × 15 = 10 × 6", "15n = 60", "n = 4"][..]),
            (CrossMultiply, "2:3 = n:12", &["2/3 = n/12", "n × 3 = 2 × 12", "3n = 24", "n = 8"]),
            (CrossMultiply, "4/n = 6/9", &["n × 6 = 9 × 4", "6n = 36", "n = 6"]),
            (ScaleFactor, "2/3 = n/12", &["12/3 = 4", "n = 2 × 4", "n = 8"]),
            (UnitRate, "2/3 = 8/n", &["n/8 = 3/2", "n = 8 × (3/2)", "n = 12"]),
            (CrossMultiply, "n/1.5 = 4/6", &["n × 6 = 4 × 1.5", "6n = 6", "n = 1"]),
        ] { assert_eq!(board(method, problem), lines, "{problem}"); }
    }

    #[test]
    fn what_is_no_proportion_is_left_alone() {
        for problem in ["n/6 = 10", "n/0 = 3/4", "n/m = 3/4", "n/n = 3/4", "3/6 = 1/2"] {
            let line = read_line(problem).expect("readable").line;
            assert!(Proportion::of(&line).is_none(), "{problem}");
        }
    }
}
