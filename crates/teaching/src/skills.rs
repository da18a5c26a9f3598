//! The catalogue: every skill, one file each, in folders by strand.

mod algebra;
mod fractions_ratio;
mod geometry;
mod kit;
mod number;

use crate::skill::Skill;

/// The version of the catalogue. It changes whenever the same seed would give another sheet.
pub const CATALOGUE_VERSION: u32 = 1;

/// Every skill. One line here for each file.
pub static SKILLS: &[&dyn Skill] = &[
    &number::number_of_the_day::NumberOfTheDay,
    &number::place_value_regroup::Regroup,
    &number::add_sub_column::Column,
    &number::multiply_facts_signed::FactsSigned,
    &number::integers_add_subtract::AddSubtract,
    &number::operations_order_brackets::OrderBrackets,
    &number::rounding_places::Places,
    &number::rounding_significant::Significant,
    &number::standard_form::StandardForm,
    &number::numbers_classify::Classify,
    &number::rationals_operate::Operate,
    &number::primes_factor_tree::FactorTree,
    &number::bases_convert::Convert,
    &number::binary_add::BinaryAdd,
    &fractions_ratio::fractions_equivalent::Equivalent,
    &fractions_ratio::fractions_lowest_terms::LowestTerms,
    &fractions_ratio::fractions_add_subtract::FractionsAddSubtract,
    &fractions_ratio::fractions_multiply_divide::MultiplyDivide,
    &fractions_ratio::fractions_mixed::Mixed,
    &fractions_ratio::fdp_convert::Convert,
    &fractions_ratio::ratio_equivalent::Equivalent,
    &fractions_ratio::ratio_is_proportion::IsProportion,
    &fractions_ratio::ratio_missing_term::RatioMissingTerm,
    &fractions_ratio::ratio_share::Share,
    &fractions_ratio::percent_part::Part,
    &fractions_ratio::percent_whole::WholeOf,
    &fractions_ratio::percent_rate::Rate,
    &fractions_ratio::percent_change::Change,
    &algebra::expressions_expand::Expand,
    &algebra::equations_linear::Linear,
    &algebra::equations_quadratic::Quadratic,
    &algebra::inequalities_linear::InequalitiesLinear,
    &algebra::systems_linear::SystemsLinear,
    &geometry::measure_convert::MeasureConvert,
    &geometry::area_triangle::AreaTriangle,
    &geometry::pythagoras::Pythagoras,
];

/// The skill with that id.
#[must_use]
pub fn find(id: &str) -> Option<&'static dyn Skill> {
    SKILLS.iter().copied().find(|skill| skill.card().id == id)
}

#[cfg(test)]
mod tests;
