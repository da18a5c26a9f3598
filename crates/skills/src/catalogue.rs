//! The catalogue: every skill, one file each, in folders by strand.

use crate::{algebra, fractions_ratio, geometry, number};
use teaching::skill::Skill;

/// The version of the catalogue. It changes whenever the same seed would give another sheet.
pub const CATALOGUE_VERSION: u32 = 5;

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
    &algebra::expressions_like_terms::LikeTerms,
    &algebra::expressions_expand::Expand,
    &algebra::expressions_factorise::Factorise,
    &algebra::equations_linear::Linear,
    &algebra::equations_rearrange::Rearrange,
    &algebra::equations_quadratic::Quadratic,
    &algebra::equations_radical::Radical,
    &algebra::equations_rational::RationalEquations,
    &algebra::equations_absolute::AbsoluteEquations,
    &algebra::inequalities_linear::InequalitiesLinear,
    &algebra::systems_linear::SystemsLinear,
    &algebra::indices_laws::Laws,
    &algebra::radicals_simplify::Simplify,
    &algebra::radicals_operate::Operate,
    &algebra::sequences_linear_geometric::LinearGeometric,
    &algebra::sequences_recursive::Recursive,
    &algebra::exponential_half_life::HalfLife,
    &algebra::exponential_solve::ExponentialSolve,
    &algebra::functions_model::Model,
    &geometry::measure_read_ruler::ReadRuler,
    &geometry::measure_choose::Choose,
    &geometry::measure_convert::MeasureConvert,
    &geometry::area_triangle::AreaTriangle,
    &geometry::area_composite::AreaComposite,
    &geometry::circle_circumference::Circumference,
    &geometry::circle_area::CircleArea,
    &geometry::angles_circle::AnglesCircle,
    &geometry::pythagoras::Pythagoras,
    &geometry::trig_side::TrigSide,
    &geometry::trig_angle::TrigAngle,
    &geometry::trig_bearings::Bearings,
    &geometry::trig_solid::Solid,
];

/// The skill with that id.
#[must_use]
pub fn find(id: &str) -> Option<&'static dyn Skill> {
    SKILLS.iter().copied().find(|skill| skill.card().id == id)
}
