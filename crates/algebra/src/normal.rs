//! The normal form: a quotient of two polynomials over atoms (letters, π, e, and kernels such as a
//! root or a sine whose inside is itself in normal form).
//!
//! Two expressions with the same normal form are equal wherever both are defined. The reverse holds
//! where the atoms have no further relations between them: letters; square roots of distinct primes,
//! whose products are linearly independent over the rationals (A. S. Besicovitch, "On the linear
//! independence of fractional powers of integers", 1940); and one transcendental constant.
//! What does not belong here: deciding what a difference means to a student (see `equal`, `step`).

mod build;
mod poly;
mod quotient;
mod univariate;

pub use build::{Assignment, Normaliser, NotNormal};
pub use poly::{Atom, Kernel, KernelKind, Monomial, Poly};
pub use quotient::Quotient;
pub use univariate::{Root, Univariate};
