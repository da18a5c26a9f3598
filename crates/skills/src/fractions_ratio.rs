//! Fractions, ratio, percent.

pub mod fdp_convert;
pub mod fractions_add_subtract;
pub mod fractions_equivalent;
pub mod fractions_lowest_terms;
pub mod fractions_mixed;
pub mod fractions_multiply_divide;
pub mod percent_change;
pub mod percent_part;
pub mod percent_rate;
pub mod percent_whole;
pub mod ratio_equivalent;
pub mod ratio_is_proportion;
pub mod ratio_missing_term;
pub mod ratio_share;
