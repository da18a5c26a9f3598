//! Expressions at a point, enclosed: what a quick look can tell for certain.
//!
//! The value is worked out along the tree with enclosures of few bits, without a normal form. Where that
//! settles a question (two values lie apart, a root has nothing real to give) it is settled; where it does
//! not, the answer is that it cannot be told here, and whoever asks goes the exact way.

use crate::ball::Enclosure;
use crate::budget::Budget;
use crate::expr::{Constant, Expr, ExprKind, Function};
use crate::normal::{Values, constant};
use num_integer::Integer;
use num_traits::ToPrimitive;

/// Bits of a quick look: with those that guard them they are machine words.
const BITS: u32 = 34;
/// Largest exponent that is multiplied out.
const LARGEST_POWER: u32 = 64;

/// What is certain of a value.
#[derive(Debug, Clone, PartialEq, Eq)]
pub(crate) enum Seen {
    /// It is defined, and inside.
    Inside(Enclosure),
    /// It is not defined.
    Undefined,
}

use Seen::{Inside, Undefined};

/// What is certain of an expression where the letters have the values `at`; `None` where this cannot tell.
pub(crate) fn seen(expr: &Expr, at: &Values, budget: &mut Budget) -> Option<Seen> {
    Sight { bits: BITS, letters: Letters::Values(at) }.of(expr, budget)
}

/// The values that an expression in one letter may have where the letter is inside `place`; `None` where
/// they are not known to be defined.
pub(crate) fn at_place(
    expr: &Expr,
    letter: &str,
    place: &Enclosure,
    budget: &mut Budget,
) -> Option<Enclosure> {
    let sight = Sight { bits: place.bits(), letters: Letters::Place(letter, place) };
    match sight.of(expr, budget)? {
        Inside(value) => Some(value),
        Undefined => None,
    }
}

/// What the letters stand for.
enum Letters<'a> {
    Values(&'a Values),
    Place(&'a str, &'a Enclosure),
}

struct Sight<'a> {
    bits: u32,
    letters: Letters<'a>,
}

impl Sight<'_> {
    fn letter(&self, name: &str, budget: &mut Budget) -> Option<Enclosure> {
        match self.letters {
            Letters::Values(at) => constant::enclose(at.get(name)?, self.bits, budget),
            Letters::Place(letter, place) => (letter == name).then(|| place.clone()),
        }
    }

    fn int(&self, n: i64) -> Enclosure {
        Enclosure::int(n, self.bits)
    }

    fn of(&self, expr: &Expr, budget: &mut Budget) -> Option<Seen> {
        budget.spend(1).ok()?;
        let mut of = |part: &Expr| self.of(part, budget);
        match &expr.kind {
            ExprKind::Number(written) => Some(Inside(Enclosure::of(written.value(), self.bits))),
            ExprKind::Symbol(name) => self.letter(name, budget).map(Inside),
            ExprKind::Constant(Constant::Pi) => Some(Inside(Enclosure::pi(self.bits))),
            ExprKind::Constant(Constant::Euler) => self.int(1).exp().map(Inside),
            ExprKind::Negative(a) => one(of(a)?, |a| Some(a.negated())),
            ExprKind::Add(a, b) => both(of(a), of(b), |a, b| Some(a.plus(b))),
            ExprKind::Subtract(a, b) => both(of(a), of(b), |a, b| Some(a.minus(b))),
            ExprKind::Multiply(a, b) => both(of(a), of(b), |a, b| Some(a.times(b))),
            ExprKind::Divide(a, b) => both(of(a), of(b), Enclosure::over),
            ExprKind::Power(a, b) => {
                if matches!(a.kind, ExprKind::Constant(Constant::Euler)) {
                    return one(of(b)?, Enclosure::exp);
                }
                match b.as_plain_number().filter(|n| n.is_integer()).and_then(|n| n.to_i64()) {
                    Some(n) => one(of(a)?, |a| whole_power(a, n)),
                    None => both(of(a), of(b), |a, b| a.ln()?.times(b).exp()),
                }
            }
            ExprKind::Root { index, radicand } => match of(radicand)? {
                Inside(value) if index.is_even() && value.sign() == Some(-1) => Some(Undefined),
                value => one(value, |value| value.root(*index)),
            },
            ExprKind::Absolute(a) => one(of(a)?, |a| Some(a.abs())),
            ExprKind::Percent(a) => one(of(a)?, |a| Some(a.over_int(&100.into()))),
            ExprKind::Degree(a) => {
                let pi = Enclosure::pi(self.bits);
                one(of(a)?, |a| Some(a.times(&pi).over_int(&180.into())))
            }
            ExprKind::Call { function, arguments } => match &arguments[..] {
                [x] => self.call(*function, of(x)?),
                [x, base] if *function == Function::Log => {
                    let (x, base) = (logarithm(of(x)?), logarithm(of(base)?));
                    both(x, base, Enclosure::over)
                }
                _ => None,
            },
            ExprKind::Unit(_)
            | ExprKind::Apply { .. }
            | ExprKind::WithRemainder { .. }
            | ExprKind::Factorial(_)
            | ExprKind::Ratio(_)
            | ExprKind::PlusMinus { .. } => None,
        }
    }

    fn call(&self, function: Function, value: Seen) -> Option<Seen> {
        match function {
            Function::Sin => one(value, |x| Some(x.sin())),
            Function::Cos => one(value, |x| Some(x.cos())),
            Function::Tan => one(value, |x| x.sin().over(&x.cos())),
            Function::Cot => one(value, |x| x.cos().over(&x.sin())),
            Function::Sec => one(value, |x| self.int(1).over(&x.cos())),
            Function::Csc => one(value, |x| self.int(1).over(&x.sin())),
            Function::Arctan => one(value, |x| Some(x.arctan())),
            Function::Arcsin => inverse_sine(value),
            Function::Arccos => one(inverse_sine(value)?, |angle| {
                Some(Enclosure::pi(self.bits).over_int(&2.into()).minus(angle))
            }),
            Function::Ln => logarithm(value),
            Function::Log => both(logarithm(value), self.int(10).ln().map(Inside), Enclosure::over),
            Function::Arcsec
            | Function::Arccsc
            | Function::Arccot
            | Function::Max
            | Function::Min
            | Function::Hcf
            | Function::Lcm
            | Function::Choose
            | Function::Arrange
            | Function::Mod
            | Function::Floor
            | Function::Ceiling => None,
        }
    }
}

/// A function of a value; what is not defined has none.
fn one(value: Seen, function: impl FnOnce(&Enclosure) -> Option<Enclosure>) -> Option<Seen> {
    match value {
        Inside(value) => function(&value).map(Inside),
        Undefined => Some(Undefined),
    }
}

/// A function of two values; one that is not defined is enough.
fn both(
    a: Option<Seen>,
    b: Option<Seen>,
    function: impl FnOnce(&Enclosure, &Enclosure) -> Option<Enclosure>,
) -> Option<Seen> {
    match (a, b) {
        (Some(Undefined), _) | (_, Some(Undefined)) => Some(Undefined),
        (Some(Inside(a)), Some(Inside(b))) => function(&a, &b).map(Inside),
        _ => None,
    }
}

fn whole_power(base: &Enclosure, n: i64) -> Option<Enclosure> {
    let size = u32::try_from(n.unsigned_abs()).ok().filter(|&n| n <= LARGEST_POWER)?;
    // Zero has no power that is zero or less.
    if n > 0 {
        return Some(base.power(size));
    }
    base.sign().filter(|&sign| sign != 0)?;
    Enclosure::int(1, base.bits()).over(&base.power(size))
}

fn logarithm(value: Seen) -> Option<Seen> {
    match value {
        Inside(value) if value.sign() == Some(-1) => Some(Undefined),
        value => one(value, Enclosure::ln),
    }
}

fn inverse_sine(value: Seen) -> Option<Seen> {
    let Inside(sine) = value else { return Some(Undefined) };
    let room = Enclosure::int(1, sine.bits()).minus(&sine.abs());
    match room.sign() {
        Some(-1) => Some(Undefined),
        Some(_) => Some(Inside(sine.arcsin())),
        None => None,
    }
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::equal::value_at;
    use crate::line::Line;
    use crate::normal::{NotNormal, Quotient};
    use crate::number::Rational;
    use crate::read::read_line;

    fn expression(text: &str) -> Expr {
        match read_line(text).expect("it can be read").line {
            Line::Expression(expr) => expr,
            other => panic!("{text} is no expression: {other:?}"),
        }
    }

    /// Whatever is told here is what the exact value says.
    #[test]
    fn a_quick_look_never_says_other_than_the_exact_value() {
        let shapes = [
            "x^2 - 3x + 1",
            "(x+1)/(x-2)",
            "sqrt(x)",
            "sqrt(x^2 - 2)",
            "cbrt(x)",
            "root(4, 1 - x)",
            "x^-3",
            "x^0",
            "2^x",
            "x^(1/2)",
            "x^(1/3)",
            "x^(2/3)",
            "x^x",
            "(-2)^x",
            "e^(-x)",
            "|x - 1|",
            "35% x",
            "sin x",
            "cos(2x)",
            "tan x",
            "cot x",
            "sec x",
            "csc x",
            "sin(30x°)",
            "arcsin x",
            "arccos(x/2)",
            "arctan(3x)",
            "ln x",
            "ln(1 - x)",
            "log x",
            "log_2(x + 1)",
            "log_x 5",
            "ln(x)/x",
            "sqrt(ln x)",
            "1/(1 - x^2)",
            "0 sqrt(x)",
            "0/x",
            "x!",
            "max(x, 1)",
        ];
        let places =
            [(0, 1), (1, 1), (-1, 1), (2, 1), (-3, 1), (1, 2), (-1, 2), (7, 3), (40, 1), (-22, 7)];
        let mut told = 0;
        for text in shapes {
            let expr = expression(text);
            for (n, d) in places {
                let x = Quotient::constant(Rational::new(n.into(), d.into()));
                let at = Values::from([("x".to_owned(), x)]);
                let (mut quick, mut exact) = (Budget::for_verdict(), Budget::for_verdict());
                let Some(found) = seen(&expr, &at, &mut quick) else { continue };
                told += 1;
                match (found, value_at(&expr, &at, &mut exact)) {
                    (Undefined, Err(NotNormal::Undefined)) => {}
                    (Inside(inside), Ok(value)) => {
                        let fine =
                            constant::enclose(&value, 160, &mut exact).expect("it has a value");
                        let meets = inside.low() <= fine.high() && fine.low() <= inside.high();
                        assert!(meets, "{text} at {n}/{d}");
                    }
                    (found, value) => panic!("{text} at {n}/{d}: {found:?} is not {value:?}"),
                }
            }
        }
        assert!(told > 300, "only {told} were told");
    }
}
