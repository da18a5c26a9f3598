//! The expression tree: what was typed, with where it was typed, and nothing simplified.
//!
//! `2/4` and `1/2` are one number but two answers to "reduce the fraction", and only the skill knows
//! which is being asked; so the tree keeps what was written.

use crate::number::Integer;
use crate::number::{Rational, Written};
use crate::unit::Unit;
use num_traits::{One, Signed};
use std::collections::BTreeSet;

/// Where a part of a line was typed: a half-open range of UTF-8 bytes.
#[derive(Debug, Clone, Copy, Default, PartialEq, Eq, Hash)]
pub struct Span {
    /// First byte.
    pub start: usize,
    /// One past the last byte.
    pub end: usize,
}

impl Span {
    /// The range from `start` to before `end`.
    #[must_use]
    pub const fn new(start: usize, end: usize) -> Self {
        Self { start, end }
    }

    /// The smallest range that holds both.
    #[must_use]
    pub fn join(self, other: Self) -> Self {
        Self::new(self.start.min(other.start), self.end.max(other.end))
    }
}

/// An expression and where it was typed. Equality compares the trees, not the places.
#[derive(Debug, Clone, Eq)]
pub struct Expr {
    /// What it is.
    pub kind: ExprKind,
    /// Where it was typed; empty for expressions that were made, not typed.
    pub span: Span,
}

impl PartialEq for Expr {
    fn eq(&self, other: &Self) -> bool {
        self.kind == other.kind
    }
}

/// The shapes an expression can have.
#[derive(Debug, Clone, PartialEq, Eq)]
pub enum ExprKind {
    /// A number, as written. Never negative.
    Number(Written),
    /// A letter, perhaps with a subscript: `x`, `x_1`, `θ`.
    Symbol(String),
    /// π or Euler's number.
    Constant(Constant),
    /// A unit, as the `cm` of `5 cm`, which is a product.
    Unit(Unit),
    /// `-a`
    Negative(Box<Expr>),
    /// `a + b`
    Add(Box<Expr>, Box<Expr>),
    /// `a - b`
    Subtract(Box<Expr>, Box<Expr>),
    /// `a b`, `a × b`
    Multiply(Box<Expr>, Box<Expr>),
    /// `a / b`, `a ÷ b`
    Divide(Box<Expr>, Box<Expr>),
    /// `a ^ b`
    Power(Box<Expr>, Box<Expr>),
    /// The `index`-th root of the radicand.
    Root { index: u32, radicand: Box<Expr> },
    /// `|a|`
    Absolute(Box<Expr>),
    /// `a%`: a hundredth of it.
    Percent(Box<Expr>),
    /// `a!`
    Factorial(Box<Expr>),
    /// `a°`: an angle, π/180 of it in radians.
    Degree(Box<Expr>),
    /// `a:b` or `a:b:c`: the terms of a ratio.
    Ratio(Vec<Expr>),
    /// A function of its arguments, such as `sin x`.
    Call { function: Function, arguments: Vec<Expr> },
    /// `f(a)` of a function that is only named: `f`, `f^-1`, `f'`. Equal arguments give equal values, and no more is
    /// known of it.
    Apply { name: String, arguments: Vec<Expr> },
    /// `3 r 2`: what a division gives, and what is left over.
    WithRemainder { quotient: Box<Expr>, remainder: Box<Expr> },
    /// `±a`, or `∓a` when `opposite`; all signs of a line agree.
    PlusMinus { opposite: bool, value: Box<Expr> },
}

/// The two named constants.
#[derive(Debug, Clone, Copy, PartialEq, Eq, PartialOrd, Ord, Hash)]
pub enum Constant {
    /// The circle's circumference over its diameter.
    Pi,
    /// Euler's number.
    Euler,
}

macro_rules! functions {
    ($($(#[$doc:meta])* $variant:ident = $name:literal),* $(,)?) => {
        /// Named functions.
        #[derive(Debug, Clone, Copy, PartialEq, Eq, PartialOrd, Ord, Hash)]
        pub enum Function { $($(#[$doc])* $variant),* }

        impl Function {
            /// All of them.
            pub const ALL: &'static [Self] = &[$(Self::$variant),*];

            /// The name it is typed by.
            #[must_use]
            pub const fn name(self) -> &'static str {
                match self { $(Self::$variant => $name),* }
            }
        }
    };
}

functions! {
    /// Sine.
    Sin = "sin",
    /// Cosine.
    Cos = "cos",
    /// Tangent.
    Tan = "tan",
    /// Secant.
    Sec = "sec",
    /// Cosecant.
    Csc = "csc",
    /// Cotangent.
    Cot = "cot",
    /// Inverse sine.
    Arcsin = "arcsin",
    /// Inverse cosine.
    Arccos = "arccos",
    /// Inverse tangent.
    Arctan = "arctan",
    /// Inverse secant, between 0 and π.
    Arcsec = "arcsec",
    /// Inverse cosecant.
    Arccsc = "arccsc",
    /// Inverse cotangent, between 0 and π.
    Arccot = "arccot",
    /// Natural logarithm.
    Ln = "ln",
    /// Logarithm: of one argument to base 10, of two to the base that is the second.
    Log = "log",
    /// The larger or largest.
    Max = "max",
    /// The smaller or smallest.
    Min = "min",
    /// Highest common factor of whole numbers.
    Hcf = "hcf",
    /// Lowest common multiple of whole numbers.
    Lcm = "lcm",
    /// How many ways to choose: `choose(8, 2)`.
    Choose = "choose",
    /// How many ways to arrange some of them: `arrange(8, 2)`, also typed `8P2`.
    Arrange = "arrange",
    /// What is left when the first is divided by the second, both whole: `mod(17, 5)`, also typed `17 mod 5`.
    Mod = "mod",
    /// The greatest whole number that is not greater.
    Floor = "floor",
    /// The least whole number that is not less.
    Ceiling = "ceil",
}

/// Whether a symbol is more than one letter with its subscript: `Area`, `AB`, `∠ABC`, `P(red)`.
#[must_use]
pub fn is_name(symbol: &str) -> bool {
    let base = symbol.split_once('_').map_or(symbol, |(base, _)| base);
    base.chars().filter(|c| *c != '\'').count() > 1
}

impl From<ExprKind> for Expr {
    fn from(kind: ExprKind) -> Self {
        Self { kind, span: Span::default() }
    }
}

impl Expr {
    /// An expression that stood at `span`.
    #[must_use]
    pub fn at(kind: ExprKind, span: Span) -> Self {
        Self { kind, span }
    }

    /// The letter `name`.
    #[must_use]
    pub fn symbol(name: &str) -> Self {
        ExprKind::Symbol(name.to_owned()).into()
    }

    /// A whole number, with its sign as an operation.
    #[must_use]
    pub fn int(n: i64) -> Self {
        Self::rational(&crate::number::from_int(n))
    }

    /// An exact number as a school would write it: whole, or a fraction in lowest terms.
    #[must_use]
    pub fn rational(value: &Rational) -> Self {
        let whole = |n: &Integer| Self::from(ExprKind::Number(Written::whole(n.abs())));
        let size = if value.denom().is_one() {
            whole(value.numer())
        } else {
            whole(value.numer()).over(whole(value.denom()))
        };
        if value.is_negative() { size.negative() } else { size }
    }

    /// A decimal as it is written, perhaps with a sign: `-2.50`. Zero for what is no decimal.
    #[must_use]
    pub fn decimal(text: &str) -> Self {
        let size = Written::decimal(text.trim_start_matches('-'));
        let size = size.map_or_else(|| Self::int(0), |w| ExprKind::Number(w).into());
        if text.starts_with('-') { size.negative() } else { size }
    }

    /// `-self`
    #[must_use]
    pub fn negative(self) -> Self {
        ExprKind::Negative(Box::new(self)).into()
    }

    /// `self + other`
    #[must_use]
    pub fn plus(self, other: Self) -> Self {
        ExprKind::Add(Box::new(self), Box::new(other)).into()
    }

    /// `self - other`
    #[must_use]
    pub fn minus(self, other: Self) -> Self {
        ExprKind::Subtract(Box::new(self), Box::new(other)).into()
    }

    /// `self × other`
    #[must_use]
    pub fn times(self, other: Self) -> Self {
        ExprKind::Multiply(Box::new(self), Box::new(other)).into()
    }

    /// `self / other`
    #[must_use]
    pub fn over(self, other: Self) -> Self {
        ExprKind::Divide(Box::new(self), Box::new(other)).into()
    }

    /// `self ^ n`
    #[must_use]
    pub fn to_the(self, n: u32) -> Self {
        ExprKind::Power(Box::new(self), Box::new(Self::int(i64::from(n)))).into()
    }

    /// The parts directly inside this one, from left to right.
    #[must_use]
    pub fn children(&self) -> Vec<&Expr> {
        match &self.kind {
            ExprKind::Number(_)
            | ExprKind::Symbol(_)
            | ExprKind::Constant(_)
            | ExprKind::Unit(_) => Vec::new(),
            ExprKind::Negative(a)
            | ExprKind::Absolute(a)
            | ExprKind::Percent(a)
            | ExprKind::Factorial(a)
            | ExprKind::Degree(a)
            | ExprKind::PlusMinus { value: a, .. }
            | ExprKind::Root { radicand: a, .. } => vec![a],
            ExprKind::Add(a, b)
            | ExprKind::Subtract(a, b)
            | ExprKind::Multiply(a, b)
            | ExprKind::Divide(a, b)
            | ExprKind::Power(a, b)
            | ExprKind::WithRemainder { quotient: a, remainder: b } => vec![a, b],
            ExprKind::Ratio(parts)
            | ExprKind::Call { arguments: parts, .. }
            | ExprKind::Apply { arguments: parts, .. } => parts.iter().collect(),
        }
    }

    /// The expression with every part replaced by what `change` makes of it, inner parts first. Spans stay.
    #[must_use]
    pub fn map(&self, change: &mut impl FnMut(Expr) -> Expr) -> Expr {
        let changed = self.with_parts(&mut |part| part.map(change));
        change(changed)
    }

    /// The expression with its own parts replaced, not those inside them. Spans stay.
    #[must_use]
    pub fn with_parts(&self, of: &mut dyn FnMut(&Expr) -> Expr) -> Expr {
        let mut go = |part: &Expr| Box::new(of(part));
        let kind = match &self.kind {
            ExprKind::Number(_)
            | ExprKind::Symbol(_)
            | ExprKind::Constant(_)
            | ExprKind::Unit(_) => self.kind.clone(),
            ExprKind::Negative(a) => ExprKind::Negative(go(a)),
            ExprKind::Absolute(a) => ExprKind::Absolute(go(a)),
            ExprKind::Percent(a) => ExprKind::Percent(go(a)),
            ExprKind::Factorial(a) => ExprKind::Factorial(go(a)),
            ExprKind::Degree(a) => ExprKind::Degree(go(a)),
            ExprKind::PlusMinus { opposite, value } => {
                ExprKind::PlusMinus { opposite: *opposite, value: go(value) }
            }
            ExprKind::Root { index, radicand } => {
                ExprKind::Root { index: *index, radicand: go(radicand) }
            }
            ExprKind::Add(a, b) => ExprKind::Add(go(a), go(b)),
            ExprKind::Subtract(a, b) => ExprKind::Subtract(go(a), go(b)),
            ExprKind::Multiply(a, b) => ExprKind::Multiply(go(a), go(b)),
            ExprKind::Divide(a, b) => ExprKind::Divide(go(a), go(b)),
            ExprKind::Power(a, b) => ExprKind::Power(go(a), go(b)),
            ExprKind::Ratio(parts) => ExprKind::Ratio(parts.iter().map(|p| *go(p)).collect()),
            ExprKind::Call { function, arguments } => ExprKind::Call {
                function: *function,
                arguments: arguments.iter().map(|p| *go(p)).collect(),
            },
            ExprKind::Apply { name, arguments } => ExprKind::Apply {
                name: name.clone(),
                arguments: arguments.iter().map(|p| *go(p)).collect(),
            },
            ExprKind::WithRemainder { quotient, remainder } => {
                ExprKind::WithRemainder { quotient: go(quotient), remainder: go(remainder) }
            }
        };
        Expr::at(kind, self.span)
    }

    /// How many parts it is made of, itself and all inside it.
    #[must_use]
    pub fn nodes(&self) -> usize {
        self.children().into_iter().map(Self::nodes).sum::<usize>() + 1
    }

    /// Whether `test` holds for this part or any part inside it.
    pub fn any(&self, test: &mut impl FnMut(&Expr) -> bool) -> bool {
        test(self) || self.children().into_iter().any(|child| child.any(test))
    }

    /// The same with `value` put for every `letter`, and nothing worked out.
    #[must_use]
    pub fn with(&self, letter: &str, value: &Self) -> Self {
        self.map(&mut |part| match &part.kind {
            ExprKind::Symbol(name) if name == letter => value.clone(),
            _ => part,
        })
    }

    /// The letters in it.
    #[must_use]
    pub fn symbols(&self) -> BTreeSet<String> {
        let mut found = BTreeSet::new();
        self.any(&mut |part| {
            if let ExprKind::Symbol(name) = &part.kind {
                found.insert(name.clone());
            }
            false
        });
        found
    }

    /// The exact value when it is a number, a negative number or a fraction of two whole numbers as
    /// written; `None` for anything that still has an operation to be carried out.
    #[must_use]
    pub fn as_plain_number(&self) -> Option<Rational> {
        match &self.kind {
            ExprKind::Number(written) => Some(written.value().clone()),
            ExprKind::Negative(a) => Some(-a.as_plain_number()?),
            ExprKind::Divide(a, b) => {
                let (a, b) = (a.as_plain_number()?, b.as_plain_number()?);
                (a.is_integer() && b.is_integer() && b != crate::number::from_int(0)).then(|| a / b)
            }
            _ => None,
        }
    }
}
