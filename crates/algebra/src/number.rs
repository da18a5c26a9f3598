//! Numbers: exact rationals, and a number as it was written.
//!
//! `2.50` and `5/2` have one value; they differ in places and figures, which a form may ask about.
//! What does not belong here: anything with a letter in it.

mod integer;
mod rational;
mod written;

pub use integer::Integer;
pub use rational::{
    Rational, decimal_places, exact_root, from_int, in_base, is_within_bits, product_of,
    round_to_places, show, square_part, to_decimal_text,
};
pub use written::{Notation, Rounding, Written};
