//! Verdicts with their evidence: what an exact comparison of two expressions, or of two lines, found.

use crate::assume::Assumptions;
use crate::expr::Expr;
use crate::line::Line;
use crate::normal::Values;
use crate::number::Rational;
use crate::solve::Solution;

/// What an exact comparison found, with its evidence.
#[derive(Debug, Clone, PartialEq, Eq)]
#[expect(clippy::large_enum_variant, reason = "one at a time, never kept in numbers")]
pub enum Verdict {
    /// Equal wherever both sides are defined; `provided` lists what that excludes.
    Equal { provided: Vec<Condition> },
    /// Different at this point.
    Different(Counterexample),
    /// There is no point at which both are defined, or only isolated ones.
    NeverDefined,
    /// No proof within the limits, yet they agree at this many points.
    Tested { points: usize },
    /// Not settled within the limits: never rounded to yes or no.
    Undecided,
}

/// What must hold for a comparison to hold.
#[derive(Debug, Clone, PartialEq, Eq)]
pub enum Condition {
    /// The letter may not have this value.
    Not { letter: String, value: Rational },
    /// This may not be zero.
    NotZero(Expr),
    /// This may not be negative.
    NotNegative(Expr),
    /// This must be positive.
    Positive(Expr),
    /// This must be so: `x ≥ 2`, `-1 ≤ x ≤ 1`.
    Holds(Line),
    /// This must be a whole number that is not negative.
    Whole(Expr),
}

/// A point that shows a difference, with what stands on each side there.
#[derive(Debug, Clone, PartialEq, Eq)]
pub struct Counterexample {
    /// The values of the letters; empty when there are none.
    pub at: Values,
    /// The exact value of the left side, or the truth of the left line.
    pub left: Shown,
    /// The exact value of the right side, or the truth of the right line.
    pub right: Shown,
}

/// A value of an expression, or the truth of a line.
#[derive(Debug, Clone, PartialEq, Eq)]
pub enum Shown {
    /// An exact value.
    Value(Expr),
    /// Whether the line is true.
    Truth(bool),
}

/// What two lines are compared under.
#[derive(Debug, Clone, Default, PartialEq, Eq)]
pub struct Setting {
    /// The letter that equations in several letters are compared for.
    pub unknown: Option<String>,
    /// What is assumed of the letters.
    pub assumed: Assumptions,
}

impl Setting {
    /// For the letter `unknown`, with nothing assumed.
    #[must_use]
    pub fn for_letter(unknown: Option<&str>) -> Self {
        Self { unknown: unknown.map(str::to_owned), ..Self::default() }
    }
}

/// What one line does to another. Every verdict but `Tested` and `Undecided` is proved.
#[derive(Debug, Clone, PartialEq, Eq)]
#[expect(clippy::large_enum_variant, reason = "one at a time, never kept in numbers")]
pub enum StepVerdict {
    /// They say the same, wherever `provided` holds.
    Equivalent { provided: Vec<Condition> },
    /// They do not, and this shows it.
    NotEquivalent(Difference),
    /// No proof within the limits, yet they agree at this many points.
    Tested { points: usize },
    /// Not settled within the limits.
    Undecided,
}

impl StepVerdict {
    /// Whether both lines say the same.
    #[must_use]
    pub const fn is_equivalent(&self) -> bool {
        matches!(self, Self::Equivalent { .. })
    }
}

/// How two lines differ.
#[derive(Debug, Clone, Default, PartialEq, Eq)]
pub struct Difference {
    /// Solutions that went missing, when they are finitely many.
    pub lost: Vec<Solution>,
    /// Solutions that came in, when they are finitely many.
    pub gained: Vec<Solution>,
    /// Points of several letters that went missing, when they are finitely many: one shows it.
    pub lost_points: Vec<Values>,
    /// Points of several letters that came in.
    pub gained_points: Vec<Values>,
    /// A point that shows the difference.
    pub counterexample: Option<Counterexample>,
    /// What else there is to say.
    pub reason: Reason,
}

/// Why two lines differ, beyond values.
#[derive(Debug, Clone, Copy, Default, PartialEq, Eq)]
pub enum Reason {
    /// The values say it all.
    #[default]
    Values,
    /// There is no point at which both have a value.
    NeverDefined,
    /// One is an equation and the other an expression, or the like.
    Shape,
    /// The right side is not the left side rounded.
    Rounding,
    /// The `index`-th relation of the line itself (from zero) joins sides that do not fit.
    Link(usize),
}
