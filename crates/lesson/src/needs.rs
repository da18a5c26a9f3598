//! Which skills a skill builds on: what a starter recalls, and what a plan names as prior knowledge.

/// Each skill of the catalogue with those it builds on, the nearest first.
const NEEDS: &[(&str, &[&str])] = &[
    ("number.of-the-day", &[]),
    ("place-value.regroup", &["number.of-the-day"]),
    ("add-sub.column", &["place-value.regroup", "number.of-the-day"]),
    ("multiply.facts-signed", &["add-sub.column"]),
    ("integers.add-subtract", &["add-sub.column"]),
    ("operations.order-brackets", &["multiply.facts-signed", "integers.add-subtract"]),
    ("rounding.places", &["place-value.regroup"]),
    ("rounding.significant", &["rounding.places"]),
    ("standard-form", &["rounding.significant", "measure.convert"]),
    ("numbers.classify", &["fdp.convert", "rounding.places"]),
    ("rationals.operate", &["fractions.add-subtract", "integers.add-subtract"]),
    ("primes.factor-tree", &["multiply.facts-signed"]),
    ("bases.convert", &["place-value.regroup", "primes.factor-tree"]),
    ("binary.add", &["bases.convert", "add-sub.column"]),
    ("fractions.equivalent", &["multiply.facts-signed"]),
    ("fractions.lowest-terms", &["fractions.equivalent"]),
    ("fractions.add-subtract", &["fractions.equivalent", "fractions.lowest-terms"]),
    ("fractions.multiply-divide", &["fractions.lowest-terms", "multiply.facts-signed"]),
    ("fractions.mixed", &["fractions.equivalent"]),
    ("fdp.convert", &["fractions.equivalent", "place-value.regroup"]),
    ("ratio.equivalent", &["fractions.equivalent", "fractions.lowest-terms"]),
    ("ratio.is-proportion", &["ratio.equivalent"]),
    ("ratio.missing-term", &["ratio.is-proportion", "ratio.equivalent"]),
    ("ratio.share", &["ratio.equivalent"]),
    ("percent.part", &["fdp.convert"]),
    ("percent.whole", &["percent.part", "fdp.convert"]),
    ("percent.rate", &["percent.part", "fractions.lowest-terms"]),
    ("percent.change", &["percent.part", "percent.rate"]),
    ("expressions.like-terms", &["integers.add-subtract", "operations.order-brackets"]),
    ("expressions.expand", &["expressions.like-terms", "multiply.facts-signed"]),
    ("expressions.factorise", &["expressions.expand", "primes.factor-tree"]),
    ("equations.linear", &["expressions.like-terms", "integers.add-subtract"]),
    ("equations.rearrange", &["equations.linear"]),
    ("equations.quadratic", &["expressions.factorise", "equations.linear"]),
    ("equations.radical", &["radicals.simplify", "equations.quadratic"]),
    ("equations.rational", &["equations.linear", "fractions.add-subtract"]),
    ("equations.absolute", &["equations.linear"]),
    ("inequalities.linear", &["equations.linear"]),
    ("systems.linear", &["equations.linear", "equations.rearrange"]),
    ("indices.laws", &["multiply.facts-signed", "primes.factor-tree"]),
    ("radicals.simplify", &["primes.factor-tree"]),
    ("radicals.operate", &["radicals.simplify", "expressions.expand"]),
    ("sequences.linear-geometric", &["operations.order-brackets", "equations.linear"]),
    ("sequences.recursive", &["sequences.linear-geometric"]),
    ("exponential.half-life", &["indices.laws", "fractions.multiply-divide"]),
    ("exponential.solve", &["indices.laws", "equations.linear"]),
    ("functions.model", &["sequences.linear-geometric"]),
    ("measure.read-ruler", &["number.of-the-day"]),
    ("measure.choose", &["measure.read-ruler"]),
    ("measure.convert", &["measure.choose", "place-value.regroup"]),
    ("area.triangle", &["area.composite", "multiply.facts-signed"]),
    ("area.composite", &["multiply.facts-signed"]),
    ("circle.circumference", &["rounding.places", "operations.order-brackets"]),
    ("circle.area", &["circle.circumference", "rounding.places"]),
    ("angles.circle", &["equations.linear"]),
    ("pythagoras", &["area.triangle", "rounding.places"]),
    ("trig.side", &["pythagoras", "equations.rearrange"]),
    ("trig.angle", &["trig.side"]),
    ("trig.bearings", &["trig.side", "trig.angle"]),
    ("trig.solid", &["pythagoras", "trig.angle"]),
];

/// The ids of the skills that a skill builds on, the nearest first; none for the first of all.
#[must_use]
pub fn needs(skill: &str) -> &'static [&'static str] {
    NEEDS.iter().find(|(id, _)| *id == skill).map_or(&[], |(_, needs)| needs)
}

#[cfg(test)]
mod tests {
    use super::*;
    use skills::{self, SKILLS};

    #[test]
    fn every_skill_but_the_first_builds_on_one_of_the_catalogue() {
        for card in SKILLS.iter().map(|skill| skill.card()) {
            assert!(NEEDS.iter().any(|(id, _)| *id == card.id), "{} is not listed", card.id);
            let needs = needs(card.id);
            assert!(card.id == "number.of-the-day" || !needs.is_empty(), "{}", card.id);
            for need in needs {
                let need = skills::find(need).unwrap_or_else(|| panic!("{need}")).card();
                assert!(need.grades.0 <= card.grades.1, "{} needs {}", card.id, need.id);
            }
        }
    }

    #[test]
    fn nothing_builds_on_itself() {
        fn depth(skill: &str, left: usize) -> usize {
            assert!(left > 0, "{skill} builds on itself");
            needs(skill).iter().map(|need| 1 + depth(need, left - 1)).max().unwrap_or(0)
        }
        assert!(SKILLS.iter().map(|skill| depth(skill.card().id, 20)).max() > Some(3));
    }
}
