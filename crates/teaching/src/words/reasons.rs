//! Why a line follows from the one above, as a teacher says it.

use super::math;
use algebra::solve::Rule;

/// The reason, as a short phrase.
#[must_use]
pub fn reason(rule: &Rule) -> String {
    match rule {
        Rule::Given => "The problem".into(),
        Rule::WriteAsFractions => "Write both ratios as fractions".into(),
        Rule::Expand => "Multiply out the brackets".into(),
        Rule::Collect => "Collect like terms".into(),
        Rule::ClearFractions(by) => {
            format!("Multiply both sides by {}, the common denominator", math(by))
        }
        Rule::AddToBoth(what) => format!("Add {} to both sides", math(what)),
        Rule::SubtractFromBoth(what) => format!("Subtract {} from both sides", math(what)),
        Rule::MultiplyBoth(by) => format!("Multiply both sides by {}", math(by)),
        Rule::DivideBoth(by) => format!("Divide both sides by {}", math(by)),
        Rule::CrossMultiply => "Cross-multiply: the two diagonal products are equal".into(),
        Rule::Evaluate => "Work it out".into(),
        Rule::SwapSides => "Write the unknown on the left".into(),
        Rule::ScaleFactor => "Find the scale factor from the pair that is known".into(),
        Rule::ScalePartner(by) => format!("Scale its partner by the same factor, {}", math(by)),
        Rule::UnitRate => "Find how much goes with one".into(),
        Rule::NeverTrue => "This is never true, whatever the unknown is".into(),
        Rule::AlwaysTrue => "This is always true, whatever the unknown is".into(),
        Rule::Substitute => "Check: put the value into the problem".into(),
    }
}
