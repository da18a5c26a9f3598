//! Solution sets, exactly, and the lines of a solution as data.
//!
//! - `sets` finds the solutions of lines in one unknown and of systems, and where two lines differ.
//! - `compare` compares lines in several letters: for one of them, as systems, or as they are written.
//! - `worked` writes the lines of a working, each with its [`Rule`]; words for the rules are written in `teaching`.

pub(crate) mod compare;
pub(crate) mod sets;
pub(crate) mod worked;

pub use crate::rule::{Law, Rule, Step, Unsolved};
pub use compare::formulas::formula_values;
pub use sets::interval::{End, Interval};
pub use sets::points::system_points;
pub use sets::sign_chart::Solutions;
pub use sets::solution::{Solution, Writing};
pub use sets::{solutions, solutions_given};
pub use worked::arithmetic::arithmetic;
pub use worked::common_denominator::over_one_denominator;
pub use worked::differentiating::{as_derivative, derivative_of, differentiated};
pub use worked::expanding::{expanding, has_brackets};
pub use worked::factorising::{factorising, product_of_factors};
pub use worked::gathered_terms::gathered;
pub use worked::inverse_operations::undone;
pub use worked::laws::{by_laws, by_laws_of_numbers, double_angles, shortest_ratio};
pub use worked::linear::{linear_coefficients, solve_linear, solve_undoing};
pub use worked::nonlinear_systems::eliminate_terms;
pub use worked::one_unknown::{OneUnknown, Way, one_unknown, solution_line};
pub use worked::proportion::{Place, Proportion, ProportionMethod, solve_proportion};
pub use worked::quantities::in_units;
pub use worked::rationalise::rationalised;
pub use worked::three_equations::eliminate_three;
pub use worked::two_equations::{eliminate, substitute};
