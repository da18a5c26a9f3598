//! Is it a proportion?
//!
//! Source: Euclid, *Elements*, book VII, proposition 19. What counts as nice: terms to 60.

use crate::kit::*;

/// The skill `ratio.is-proportion`.
pub struct IsProportion;

slips! {
    STRAIGHT_ACROSS = "straight-across": "Multiply along the diagonals, not along the rows.",
        "Multiplies straight across instead of diagonally.";
    SAME_DIFFERENCE = "same-difference": "Equal differences do not make equal ratios.",
        "Takes ratios for equal because their terms differ by the same amount.";
}

methods! {
    MEANS_AND_EXTREMES = "means-and-extremes": "Product of means and extremes",
    LOWEST_TERMS = "lowest-terms": "Lowest terms",
    UNIT_RATE = "unit-rate": "Unit rate",
}

impl Skill for IsProportion {
    fn card(&self) -> Card {
        Card {
            id: "ratio.is-proportion",
            strand: Strand::FractionsRatio,
            grades: (5, 7),
            title: "Is it a proportion?",
            objective: "I can tell whether two ratios are equal and say why.",
            vocabulary: terms![
                "proportion": "an equation that says two ratios are equal",
                "means": "the two inner terms of a proportion",
                "extremes": "the two outer terms of a proportion",
            ],
            methods: METHODS,
        }
    }

    fn slips(&self) -> &'static [&'static dyn Slip] {
        SLIPS
    }

    fn pose(&self, stage: Stage, index: usize, draw: &mut Draw) -> Posed {
        match (stage, index % 3) {
            (Stage::Grip, _) => true_or_false(draw),
            (Stage::Tilt, _) => make_it_true(draw),
            (Stage::Climb, _) => same_taste(draw),
        }
    }
}

/// Two ratios, equal or nearly so.
fn pair(is_true: bool, draw: &mut Draw) -> [i64; 4] {
    let (a, b) = draw.coprime(2, 9);
    let k = draw.different(2, 2, 7);
    let (c, d) = (a * k[1], b * k[1]);
    if is_true {
        return [a * k[0], b * k[0], c, d];
    }
    loop {
        let off = draw.nonzero(-3, 3);
        if c + off > 1 {
            return [a * k[0], b * k[0], c + off, d];
        }
    }
}

fn ways(posed: Posed, [a, b, c, d]: [i64; 4], end: &str, with_rate: bool) -> Posed {
    let (outer, inner) = (a * d, b * c);
    let sign = match outer.cmp(&inner) {
        std::cmp::Ordering::Equal => "=",
        std::cmp::Ordering::Less => "<",
        std::cmp::Ordering::Greater => ">",
    };
    let verdict = if sign == "=" { "They are equal" } else { "They differ" };
    let crossed = |at: usize, outer: Option<i64>, inner: Option<i64>| {
        (at, pictured::cross_lines([a, b, c, d], [outer, inner]))
    };
    let low = |x: i64, y: i64| format!("{}:{}", x / gcd(x, y), y / gcd(x, y));
    let mut posed = posed
        .way(
            method::MEANS_AND_EXTREMES,
            Lines::default()
                .work(&format!("{a} × {d} = {outer}"), "Multiply the outer terms")
                .work(&format!("{b} × {c} = {inner}"), "Multiply the inner terms")
                .work(&format!("{outer} {sign} {inner}"), verdict)
                .end(end),
        )
        .grows(
            method::MEANS_AND_EXTREMES,
            [crossed(0, Some(outer), None), crossed(1, Some(outer), Some(inner))],
        )
        .way(
            method::LOWEST_TERMS,
            Lines::default()
                .work(&format!("{a}:{b} = {}", low(a, b)), "The first ratio in lowest terms")
                .work(&format!("{c}:{d} = {}", low(c, d)), "The second in lowest terms")
                .end(end),
        );
    if with_rate {
        posed = posed.way(
            method::UNIT_RATE,
            Lines::default()
                .work(&format!("{a}/{b} {sign} {c}/{d}"), "Compare how much goes with one")
                .end(end),
        );
    }
    posed
}

fn true_or_false(draw: &mut Draw) -> Posed {
    let is_true = draw.coin();
    let terms = pair(is_true, draw);
    let [a, b, c, d] = terms;
    let claim = format!("{a}:{b} = {c}:{d}");
    let is_true = a * d == b * c;
    let end = if is_true { "It is true." } else { "It is false." };
    ways(
        Posed::claim(format!("True or false? {}", tex(&claim)), line(&claim), is_true),
        terms,
        end,
        true,
    )
}

fn make_it_true(draw: &mut Draw) -> Posed {
    let terms = pair(true, draw);
    let [a, b, c, d] = terms;
    let wrong = c + draw.nonzero(-2, 2);
    let shown = format!("{a}:{b} = {wrong}:{d}");
    let equation = format!("{a}:{b} = n:{d}");
    Posed::equation(
        format!(
            "{} is not true. Change {wrong} so that it is. What must stand there?",
            tex(&shown)
        ),
        line(&equation),
        "n",
        from_int(c),
    )
    .slip((a + d - b).to_string(), slip::SAME_DIFFERENCE)
    .way(
        method::MEANS_AND_EXTREMES,
        Lines::start(&equation)
            .then(
                &format!("{b} × n = {a} × {d}"),
                "The products of the inner and the outer terms must be equal",
            )
            .then(&format!("{b} × n = {}", a * d), "Work out the known product")
            .then(&format!("n = {c}"), format!("Divide both sides by {b}")),
    )
    .grows(
        method::MEANS_AND_EXTREMES,
        [
            (
                0,
                pictured::cross_lines(
                    [a.to_string(), b.to_string(), "n".into(), d.to_string()],
                    [None, None],
                ),
            ),
            (3, pictured::cross_lines([a, b, c, d], [Some(a * d), Some(b * c)])),
        ],
    )
}

fn same_taste(draw: &mut Draw) -> Posed {
    let (name, other) = scenario::two_names(draw);
    let is_same = draw.coin();
    let terms = pair(is_same, draw);
    let [a, b, c, d] = terms;
    let is_same = a * d == b * c;
    let (prompt, yes, no) = match draw.between(0, 2) {
        0 => (
            format!(
                "{name} stirs {a} spoons of honey into {b} cups of tea, {other} {c} spoons into {d} cups. Is the tea equally sweet?"
            ),
            "the tea is equally sweet",
            "the tea is not equally sweet",
        ),
        1 => (
            format!(
                "{name} mixes {a} parts of oil with {b} parts of wax, {other} {c} parts with {d} parts. Is it the same balm?"
            ),
            "it is the same balm",
            "it is not the same balm",
        ),
        _ => (
            format!(
                "{name} sells {a} jars for {b} dollars, {other} {c} jars for {d} dollars. Is the price the same?"
            ),
            "the price is the same",
            "the price is not the same",
        ),
    };
    let (right, wrong) = if is_same { (yes, no) } else { (no, yes) };
    let sign = if is_same {
        "="
    } else if a * d < b * c {
        "<"
    } else {
        ">"
    };
    let posed = Posed::shown(prompt, right, vec![line(&format!("{a}/{b} {sign} {c}/{d}"))])
        .slip(wrong, slip::SAME_DIFFERENCE);
    ways(posed, terms, &format!("So {right}."), true)
}
