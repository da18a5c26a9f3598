//! Mathematics and nothing else: reads what people type, writes it back, proves two things equal
//! or different, and solves.
//!
//! What belongs here: exact numbers, expressions, lines, normal forms, verdicts, solution sets, and
//! the lines of a solution as data. What never does: sentences about mathematics (they are written in
//! `teaching`), drawing, files, databases, clocks, randomness.
//!
//! Everything is exact. Every function that could grow without bound takes its limits from
//! [`budget`]; reaching one is an ordinary answer, never a hang or a panic.

mod approximate;
pub mod assume;
pub mod ball;
pub mod budget;
pub mod degrees;
mod derivative;
mod enclosed;
pub mod equal;
pub mod expr;
pub mod form;
pub mod line;
pub mod normal;
pub mod number;
pub mod plot;
mod range;
pub mod read;
pub mod role;
pub mod round;
pub mod rule;
pub mod sketch;
pub mod solve;
pub mod step;
mod trial;
pub mod unit;
pub mod verdict;
pub mod work;
pub mod write;

pub use assume::Assumptions;
pub use equal::{equal, equal_given};
pub use expr::{Expr, ExprKind, Function, Span};
pub use line::{Line, Relation};
pub use number::{Rational, Written};
pub use read::{Light, Options, read_in_light, read_line_with};
pub use read::{Mend, Note, ReadError, ReadErrorKind, Reading, read_expr, read_latex, read_line};
pub use role::Role;
pub use rule::Rule;
pub use step::{compare, compare_given, judge_alone, judge_alone_given};
pub use unit::Unit;
pub use verdict::{Condition, Counterexample, Setting, StepVerdict, Verdict};
