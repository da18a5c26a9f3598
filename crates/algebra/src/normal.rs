//! The normal form: a quotient of two polynomials over atoms (letters, π, e, and kernels such as a
//! root or a sine whose inside is itself in normal form).
//!
//! Two expressions with the same normal form are equal wherever both are defined. The reverse holds
//! where the atoms have no further relations between them: letters; square roots of distinct primes,
//! whose products are linearly independent over the rationals (A. S. Besicovitch, "On the linear
//! independence of fractional powers of integers", 1940); and one transcendental constant.
//! What does not belong here: deciding what a difference means to a student (see `equal`, `step`).

mod algebraic;
mod build;
mod circular;
mod closed;
pub mod constant;
pub mod divide;
mod factor;
mod half_angles;
mod isolated_root;
mod kernel;
mod logarithms;
mod poly;
mod powers;
mod quotient;
mod refine;
mod roots;
mod splitting;
mod univariate;
mod whole_powers;

pub use algebraic::{constant as algebraic_constant, parts as algebraic_parts};
pub(crate) use build::is_surely_positive;
pub use build::{Needs, Normaliser, NotNormal, Values};
pub use divide::{exact_quotient, gcd};
pub use factor::{prime_powers, primitive, split as factors};
pub(crate) use isolated_root::{
    CELL, LETTER as ROOT_LETTER, constant as isolated_root, function as root_function,
};
pub use kernel::{Atom, Kernel, KernelKind, Monomial};
pub use poly::Poly;
pub use quotient::Quotient;
pub use refine::{Knowledge, is_zero_everywhere, refine, substituted};
pub use splitting::irreducible_factors;
pub use univariate::{Root, Univariate};

use crate::budget::Budget;
use crate::expr::Expr;

/// An expression in its normal form, written; as it is where it has none within the budget of a verdict.
#[must_use]
pub fn simplest(expr: &Expr) -> Expr {
    let (none, mut budget) = (Values::new(), Budget::for_verdict());
    Normaliser::new(&none, &mut budget).build(expr).map_or_else(|_| expr.clone(), |v| v.to_expr())
}
