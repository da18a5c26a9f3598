//! Tasks that are typed in words: each with the skill it belongs to and its working.
//!
//! A working here holds for whatever numbers are typed, and is proved like every other before it is shown.

mod amounts;
mod numbers;
mod percent;
mod rounding;
mod shapes;

use super::words::{Told, matched};
use crate::algebra::{exponential_half_life, sequences_linear_geometric};
use crate::fractions_ratio::{
    fractions_lowest_terms, percent_change, percent_part, percent_rate, percent_whole, ratio_share,
};
use crate::geometry::{
    area_triangle, circle_area, circle_circumference, measure_convert, pythagoras,
};
use crate::number::{bases_convert, primes_factor_tree, rounding_places, rounding_significant};
use teaching::ids::MethodId;
use teaching::typeset::Lines;

/// A task with its working.
pub(super) struct Task {
    /// The skill's id.
    pub skill: &'static str,
    /// The id of the method, one of the skill's.
    pub method: MethodId,
    /// The lines.
    pub lines: Lines,
}

/// A kind of task.
struct Kind {
    skill: &'static str,
    method: MethodId,
    patterns: &'static [&'static str],
    /// `None` for numbers with which there is no such task.
    lines: fn(&[Told]) -> Option<Lines>,
}

/// The task that a text asks for.
pub(super) fn recognise(text: &str) -> Option<Task> {
    if let Some(lines) = amounts::converted(text) {
        return Some(Task {
            skill: "measure.convert",
            method: measure_convert::method::SCALE_FACTOR,
            lines,
        });
    }
    KINDS.iter().find_map(|kind| {
        let numbers = matched(text, kind.patterns)?;
        let lines = (kind.lines)(&numbers)?;
        Some(Task { skill: kind.skill, method: kind.method, lines })
    })
}

const KINDS: &[Kind] = &[
    Kind {
        skill: "percent.part",
        method: percent_part::method::DECIMAL,
        patterns: &["#% of #", "# percent of #", "# per cent of #"],
        lines: percent::percent_of,
    },
    Kind {
        skill: "percent.whole",
        method: percent_whole::method::DECIMAL_AND_DIVIDE,
        patterns: &[
            "# is #% of what",
            "# is #% of what number",
            "# is # percent of what",
            "# is # percent of what number",
        ],
        lines: percent::whole_of,
    },
    Kind {
        skill: "percent.rate",
        method: percent_rate::method::QUOTIENT,
        patterns: &[
            "# is what percent of #",
            "# is what % of #",
            "what percent is # of #",
            "what percentage is # of #",
            "what % is # of #",
        ],
        lines: percent::rate_of,
    },
    Kind {
        skill: "percent.rate",
        method: percent_rate::method::QUOTIENT,
        patterns: &["what percent of # is #", "what percentage of # is #", "what % of # is #"],
        lines: percent::rate_of_whole,
    },
    Kind {
        skill: "percent.change",
        method: percent_change::method::MULTIPLIER,
        patterns: &["increase # by #%", "# increased by #%", "raise # by #%", "# plus #%"],
        lines: percent::increased,
    },
    Kind {
        skill: "percent.change",
        method: percent_change::method::MULTIPLIER,
        patterns: &["decrease # by #%", "# decreased by #%", "reduce # by #%", "# minus #%"],
        lines: percent::decreased,
    },
    Kind {
        skill: "percent.change",
        method: percent_change::method::MULTIPLIER,
        patterns: &["#% off #", "# percent off #"],
        lines: percent::off,
    },
    Kind {
        skill: "rounding.significant",
        method: rounding_significant::method::MARK_THE_FIGURES,
        patterns: &[
            "round # to # s f",
            "round # to # sf",
            "round # to # sig figs",
            "round # to # significant figures",
            "round # to # significant figure",
            "# to # s f",
            "# to # sf",
            "# to # significant figures",
        ],
        lines: rounding::to_figures,
    },
    Kind {
        skill: "rounding.places",
        method: rounding_places::method::NEXT_DIGIT,
        patterns: &[
            "round # to # d p",
            "round # to # dp",
            "round # to # decimal places",
            "round # to # decimal place",
            "# to # dp",
            "# to # decimal places",
        ],
        lines: rounding::to_places,
    },
    Kind {
        skill: "rounding.places",
        method: rounding_places::method::NEXT_DIGIT,
        patterns: &["round # to the nearest #", "# to the nearest #"],
        lines: rounding::to_nearest,
    },
    Kind {
        skill: "ratio.share",
        method: ratio_share::method::ONE_PART_FIRST,
        patterns: &[
            "share # in #:#",
            "share # in the ratio #:#",
            "divide # in the ratio #:#",
            "split # in the ratio #:#",
            "split # in #:#",
            "divide # in #:#",
        ],
        lines: amounts::shared,
    },
    Kind {
        skill: "exponential.half-life",
        method: exponential_half_life::method::HALVE_STEP_BY_STEP,
        patterns: &[
            "half-life # days # g # days",
            "half-life # hours # g # hours",
            "half-life # days # mg # days",
            "half-life # hours # mg # hours",
            "half-life # years # g # years",
            "half-life # minutes # g # minutes",
        ],
        lines: amounts::faded,
    },
    Kind {
        skill: "bases.convert",
        method: bases_convert::method::REPEATED_DIVISION,
        patterns: &["convert # to binary", "# in binary", "write # in binary", "# to binary"],
        lines: numbers::in_binary,
    },
    Kind {
        skill: "bases.convert",
        method: bases_convert::method::PLACE_VALUE_COLUMNS,
        patterns: &[
            "convert binary # to decimal",
            "binary # in decimal",
            "# binary to decimal",
            "convert # from binary to decimal",
            "convert # from binary",
        ],
        lines: numbers::from_binary,
    },
    Kind {
        skill: "primes.factor-tree",
        method: primes_factor_tree::method::TREE,
        patterns: &[
            "prime factors of #",
            "prime factorisation of #",
            "prime factorization of #",
            "factorise # into primes",
            "write # as a product of primes",
        ],
        lines: numbers::into_primes,
    },
    Kind {
        skill: "primes.factor-tree",
        method: primes_factor_tree::method::TREE,
        patterns: &[
            "hcf of # and #",
            "gcd of # and #",
            "highest common factor of # and #",
            "greatest common divisor of # and #",
        ],
        lines: numbers::highest_common,
    },
    Kind {
        skill: "primes.factor-tree",
        method: primes_factor_tree::method::TREE,
        patterns: &[
            "lcm of # and #",
            "least common multiple of # and #",
            "lowest common multiple of # and #",
        ],
        lines: numbers::least_common,
    },
    Kind {
        skill: "pythagoras",
        method: pythagoras::method::FORMULA,
        patterns: &[
            "hypotenuse with legs # and #",
            "hypotenuse of legs # and #",
            "hypotenuse # and #",
            "hypotenuse legs # #",
        ],
        lines: shapes::hypotenuse,
    },
    Kind {
        skill: "pythagoras",
        method: pythagoras::method::FORMULA,
        patterns: &[
            "leg with hypotenuse # and leg #",
            "leg with hypotenuse # and other leg #",
            "other leg with hypotenuse # and leg #",
        ],
        lines: shapes::leg,
    },
    Kind {
        skill: "area.triangle",
        method: area_triangle::method::FORMULA,
        patterns: &[
            "area of a triangle with base # and height #",
            "area of triangle with base # and height #",
            "area of triangle base # height #",
            "triangle base # height # area",
        ],
        lines: shapes::triangle,
    },
    Kind {
        skill: "circle.area",
        method: circle_area::method::PI_R_SQUARED,
        patterns: &[
            "area of a circle with radius #",
            "area of circle with radius #",
            "area of circle radius #",
            "circle radius # area",
        ],
        lines: shapes::circle_area,
    },
    Kind {
        skill: "circle.circumference",
        method: circle_circumference::method::TWO_PI_R,
        patterns: &[
            "circumference of a circle with radius #",
            "circumference of circle with radius #",
            "circumference of circle radius #",
            "circumference with radius #",
        ],
        lines: shapes::circumference,
    },
    Kind {
        skill: "circle.circumference",
        method: circle_circumference::method::PI_D,
        patterns: &[
            "circumference of a circle with diameter #",
            "circumference of circle with diameter #",
            "circumference of circle diameter #",
            "circumference with diameter #",
        ],
        lines: shapes::circumference_of_diameter,
    },
    Kind {
        skill: "fractions.lowest-terms",
        method: fractions_lowest_terms::method::HIGHEST_COMMON_FACTOR,
        patterns: &[
            "#/# in lowest terms",
            "simplify #/#",
            "reduce #/#",
            "write #/# in lowest terms",
            "#/# in simplest form",
        ],
        lines: numbers::lowest_terms,
    },
    Kind {
        skill: "sequences.linear-geometric",
        method: sequences_linear_geometric::method::DIFFERENCE_TABLE,
        patterns: &[
            "nth term of # # # #",
            "nth term of # # #",
            "nth term # # # #",
            "rule for # # # #",
        ],
        lines: amounts::nth_term,
    },
];
