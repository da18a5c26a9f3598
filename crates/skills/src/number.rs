//! Number.

pub mod add_sub_column;
pub mod bases_convert;
pub mod binary_add;
pub mod integers_add_subtract;
pub mod multiply_facts_signed;
pub mod number_of_the_day;
pub mod numbers_classify;
pub mod operations_order_brackets;
pub mod place_value_regroup;
pub mod primes_factor_tree;
pub mod rationals_operate;
pub mod rounding_places;
pub mod rounding_significant;
pub mod standard_form;
