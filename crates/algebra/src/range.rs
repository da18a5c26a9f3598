//! The values that an expression may have on a stretch of the number line, which may go on for ever.
//!
//! Interval arithmetic with ends at infinity (R. E. Moore, *Interval Analysis*, 1966). What comes out may be
//! wider than the values are, never narrower: `x·eˣ` is not positive where x is negative.

use crate::ball::Enclosure;
use crate::budget::Budget;
use crate::expr::{Constant, Expr, ExprKind, Function};
use crate::number::{Rational, from_int};
use num_integer::Integer;
use num_traits::{Signed, ToPrimitive, Zero};

/// Bits with which functions are worked out.
const BITS: u32 = 40;
/// Largest exponent that is multiplied out.
const LARGEST_POWER: u32 = 16;

/// All numbers between two ends; an end that is missing is at infinity.
#[derive(Debug, Clone, PartialEq, Eq)]
pub(crate) struct Range {
    pub low: Option<Rational>,
    pub high: Option<Rational>,
}

impl Range {
    fn point(value: Rational) -> Self {
        Self { low: Some(value.clone()), high: Some(value) }
    }

    fn between(low: i64, high: i64) -> Self {
        Self { low: Some(from_int(low)), high: Some(from_int(high)) }
    }

    fn of(inside: &Enclosure) -> Self {
        Self { low: Some(inside.low()), high: Some(inside.high()) }
    }

    /// The sign of every number in it: `None` where it holds zero, or numbers on both sides of it.
    pub fn sign(&self) -> Option<i8> {
        if self.low.as_ref().is_some_and(Signed::is_positive) {
            Some(1)
        } else if self.high.as_ref().is_some_and(Signed::is_negative) {
            Some(-1)
        } else {
            None
        }
    }

    fn is_not_negative(&self) -> bool {
        self.low.as_ref().is_some_and(|low| !low.is_negative())
    }

    fn negated(self) -> Self {
        Self { low: self.high.map(|x| -x), high: self.low.map(|x| -x) }
    }

    fn plus(self, other: Self) -> Self {
        let sum = |a: Option<Rational>, b: Option<Rational>| Some(a? + b?);
        Self { low: sum(self.low, other.low), high: sum(self.high, other.high) }
    }

    fn times(&self, other: &Self) -> Self {
        let ends = |s: &Self| [End::low(&s.low), End::high(&s.high)];
        let products = ends(self).into_iter().flat_map(|a| ends(other).map(|b| a.times(&b)));
        let all: Vec<End> = products.collect();
        let lowest = all.iter().min().cloned().and_then(End::finite);
        let highest = all.iter().max().cloned().and_then(End::finite);
        Self { low: lowest, high: highest }
    }

    /// `1/self`, where zero is not inside.
    fn reciprocal(&self) -> Option<Self> {
        let turned = |end: &Option<Rational>| match end {
            None => Some(Rational::zero()),
            Some(x) if x.is_zero() => None,
            Some(x) => Some(x.recip()),
        };
        let is_apart = self.is_not_negative() || self.clone().negated().is_not_negative();
        is_apart.then(|| Self { low: turned(&self.high), high: turned(&self.low) })
    }

    fn power(&self, n: u32) -> Self {
        if n.is_even() {
            return self.size().rising_power(n);
        }
        self.rising_power(n)
    }

    fn rising_power(&self, n: u32) -> Self {
        let end = |x: &Option<Rational>| x.as_ref().map(|x| num_traits::pow(x.clone(), n as usize));
        Self { low: end(&self.low), high: end(&self.high) }
    }

    fn size(&self) -> Self {
        if self.is_not_negative() {
            return self.clone();
        }
        let turned = self.clone().negated();
        if turned.is_not_negative() {
            return turned;
        }
        let high = self.high.clone().zip(turned.high).map(|(a, b)| a.max(b));
        Self { low: Some(Rational::zero()), high }
    }

    /// The values of a function that rises; `None` for an end at which it has none.
    fn rising(&self, of: impl Fn(&Enclosure) -> Option<Enclosure>) -> Option<Self> {
        let end = |x: &Option<Rational>| match x {
            None => Some(None),
            Some(x) => of(&Enclosure::of(x, BITS)).map(Some),
        };
        let (low, high) = (end(&self.low)?, end(&self.high)?);
        Some(Self { low: low.map(|x| x.low()), high: high.map(|x| x.high()) })
    }

    fn exp(&self) -> Option<Self> {
        let above = self.rising(Enclosure::exp)?;
        Some(Self { low: above.low.or_else(|| Some(Rational::zero())), ..above })
    }

    /// The logarithms of what is positive in it.
    fn ln(&self) -> Option<Self> {
        // Down to zero, logarithms go on for ever.
        let low = self.low.clone().filter(Signed::is_positive);
        if self.high.as_ref().is_some_and(|high| !high.is_positive()) {
            return None;
        }
        Self { low, high: self.high.clone() }.rising(Enclosure::ln)
    }

    fn arctan(&self) -> Option<Self> {
        let half_pi = Enclosure::pi(BITS).high() / from_int(2);
        let found = self.rising(|x| Some(x.arctan()))?;
        Some(Self {
            low: found.low.or_else(|| Some(-half_pi.clone())),
            high: found.high.or(Some(half_pi)),
        })
    }
}

/// An end of a stretch, in its order on the line.
#[derive(Debug, Clone, PartialEq, Eq, PartialOrd, Ord)]
enum End {
    Below,
    At(Rational),
    Above,
}

impl End {
    fn low(end: &Option<Rational>) -> Self {
        end.clone().map_or(Self::Below, Self::At)
    }

    fn high(end: &Option<Rational>) -> Self {
        end.clone().map_or(Self::Above, Self::At)
    }

    fn sign(&self) -> i8 {
        match self {
            Self::Below => -1,
            Self::Above => 1,
            Self::At(x) if x.is_zero() => 0,
            Self::At(x) => {
                if x.is_positive() {
                    1
                } else {
                    -1
                }
            }
        }
    }

    /// The product as an end: zero times what is beyond all bounds is zero, since every number is finite.
    fn times(&self, other: &Self) -> Self {
        if let (Self::At(a), Self::At(b)) = (self, other) {
            return Self::At(a * b);
        }
        match self.sign() * other.sign() {
            0 => Self::At(Rational::zero()),
            1 => Self::Above,
            _ => Self::Below,
        }
    }

    fn finite(self) -> Option<Rational> {
        match self {
            Self::At(x) => Some(x),
            Self::Below | Self::Above => None,
        }
    }
}

/// The values of an expression in one letter that is inside `place`, where they are defined; `None` where
/// nothing is known of them.
pub(crate) fn values(
    expr: &Expr,
    letter: &str,
    place: &Range,
    budget: &mut Budget,
) -> Option<Range> {
    budget.spend(10).ok()?;
    let mut of = |part: &Expr| values(part, letter, place, budget);
    Some(match &expr.kind {
        ExprKind::Number(written) => Range::point(written.value().clone()),
        ExprKind::Symbol(name) if name == letter => place.clone(),
        ExprKind::Constant(Constant::Pi) => Range::of(&Enclosure::pi(BITS)),
        ExprKind::Constant(Constant::Euler) => Range::of(&Enclosure::int(1, BITS).exp()?),
        ExprKind::Negative(a) => of(a)?.negated(),
        ExprKind::Add(a, b) => of(a)?.plus(of(b)?),
        ExprKind::Subtract(a, b) => of(a)?.plus(of(b)?.negated()),
        ExprKind::Multiply(a, b) => of(a)?.times(&of(b)?),
        ExprKind::Divide(a, b) => of(a)?.times(&of(b)?.reciprocal()?),
        ExprKind::Absolute(a) => of(a)?.size(),
        ExprKind::Root { index, radicand } => {
            let inside = of(radicand)?;
            let low = inside.low.filter(|low| index.is_odd() || low.is_positive());
            let low = low.or_else(|| index.is_even().then(Rational::zero));
            Range { low, high: inside.high }.rising(|x| x.root(*index))?
        }
        ExprKind::Power(a, b) => {
            let whole = b.as_plain_number().filter(|n| n.is_integer()).and_then(|n| n.to_i32());
            let base = of(a)?;
            match whole {
                Some(n) if (1..=LARGEST_POWER).contains(&n.unsigned_abs()) => {
                    let power = base.power(n.unsigned_abs());
                    if n > 0 { power } else { power.reciprocal()? }
                }
                // Some powers of negative numbers are real, and nothing is said of those.
                _ if base.is_not_negative() => base.ln()?.times(&of(b)?).exp()?,
                _ => return None,
            }
        }
        ExprKind::Call { function, arguments } => {
            let [inside] = &arguments[..] else { return None };
            match function {
                Function::Sin | Function::Cos => Range::between(-1, 1),
                Function::Arctan => of(inside)?.arctan()?,
                Function::Ln => of(inside)?.ln()?,
                _ => return None,
            }
        }
        _ => return None,
    })
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::line::Line;
    use crate::read::read_line;

    /// The sign of an expression where x lies between two whole numbers.
    fn sign(text: &str, low: Option<i64>, high: Option<i64>) -> Option<i8> {
        let Line::Expression(expr) = read_line(text).expect("it can be read").line else {
            panic!("{text} is no expression");
        };
        let place = Range { low: low.map(from_int), high: high.map(from_int) };
        values(&expr, "x", &place, &mut Budget::for_verdict())?.sign()
    }

    #[test]
    #[rustfmt::skip]
    fn signs_on_stretches() {
        for (text, low, high, expected) in [
            ("x e^x - 1",        None,     Some(-1), Some(-1)),
            ("x ln x - 2",       Some(0),  Some(1),  Some(-1)),
            ("sin x - x",        Some(2),  None,     Some(-1)),
            ("sin x - x",        Some(0),  None,     None),
            ("x^2 + 1",          None,     None,     Some(1)),
            ("x^3 - 1",          None,     Some(0),  Some(-1)),
            ("1/x + 1",          Some(0),  None,     Some(1)),
            ("1/x - 1",          Some(0),  None,     None),
            ("x^-2 + 1",         None,     Some(0),  Some(1)),
            ("x^-3 + 1",         None,     Some(-2), Some(1)),
            ("x^-3 + 1",         None,     Some(0),  None),
            ("x^(1/3) + 1",      None,     Some(0),  None),
            ("1/(x + 1) + 1",    Some(0),  None,     Some(1)),
            ("2 - arctan x",     None,     None,     Some(1)),
            ("1 - arctan x",     None,     None,     None),
            ("sqrt(x) + 1",      Some(-5), None,     Some(1)),
            ("cbrt(x) - 1",      None,     Some(0),  Some(-1)),
            ("|x| + 1",          None,     None,     Some(1)),
            ("2^x - 8",          Some(4),  None,     Some(1)),
            ("x - e^x",          Some(2),  None,     None),
        ] {
            assert_eq!(sign(text, low, high), expected, "{text} from {low:?} to {high:?}");
        }
    }
}
