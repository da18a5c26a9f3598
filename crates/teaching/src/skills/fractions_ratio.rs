//! Fractions, ratio, percent.

pub mod ratio_missing_term;
