//! Multiplying and dividing fractions.
//!
//! Source: L. Euler, *Elements of Algebra* (Hewlett's translation), part I, section I, chapters X and XI. What counts
//! as nice: parts to 12.

use crate::kit::*;

/// The skill `fractions.multiply-divide`.
pub struct MultiplyDivide;

slips! {
    FIRST_FLIPPED = "first-flipped": "Which fraction do you divide by? That one is turned over.",
        "Turns over the first fraction instead of the second.";
    MULTIPLIED_NOT_TURNED = "multiplied-not-turned": "How many of the second fit into the first?",
        "Multiplies where it should divide.";
    COMMON_DENOMINATOR_KEPT = "common-denominator-kept": "A product of thirds and quarters is cut into which pieces?",
        "Brings both to a common denominator and keeps it for the product.";
}

methods! {
    RECIPROCAL = "reciprocal": "Reciprocal",
    AREA_MODEL = "area-model": "Area model",
}

impl Skill for MultiplyDivide {
    fn card(&self) -> Card {
        Card {
            id: "fractions.multiply-divide",
            strand: Strand::FractionsRatio,
            grades: (5, 7),
            title: "Multiplying and dividing fractions",
            objective: "I can multiply and divide fractions and say what the answer means.",
            vocabulary: terms![
                "product": "what a multiplication gives",
                "quotient": "what a division gives",
                "reciprocal": "the fraction turned over: together they make 1",
            ],
            methods: METHODS,
        }
    }

    fn slips(&self) -> &'static [&'static dyn Slip] {
        SLIPS
    }

    fn pose(&self, stage: Stage, index: usize, draw: &mut Draw) -> Posed {
        match (stage, index % 3) {
            (Stage::Grip, _) => bare(index, draw),
            (Stage::Tilt, 0) => find_the_slip(draw),
            (Stage::Tilt, _) => missing(draw),
            (Stage::Climb, 0) => how_many_in(draw),
            (Stage::Climb, _) => part_of(draw),
        }
    }
}

fn show(n: i64, d: i64) -> String {
    if d == 1 { n.to_string() } else { format!("{n}/{d}") }
}

fn paren(n: i64, d: i64) -> String {
    if d == 1 { n.to_string() } else { format!("({n}/{d})") }
}

fn product(prompt: String, (a, b): (i64, i64), (c, d): (i64, i64)) -> Posed {
    let typed = format!("{} × {}", paren(a, b), paren(c, d));
    let answer = fraction(a * c, b * d);
    let over = if b == 1 {
        format!("({a} × {c})/{d}")
    } else if d == 1 {
        format!("({a} × {c})/{b}")
    } else {
        format!("({a} × {c})/({b} × {d})")
    };
    let lines = |first: &str| {
        in_lowest_terms(Lines::start(&typed).then(&over, first), a * c, b * d, "Work it out")
    };
    let common = lcm(b, d);
    let is_part = |(n, d): (i64, i64)| 0 < n && n < d;
    let cut = (is_part((a, b)) && is_part((c, d))).then(|| {
        [(0, pictured::area_model((a, b), (1, 1))), (1, pictured::area_model((a, b), (c, d)))]
    });
    Posed::value(prompt, line(&typed), line(&answer), Form::LowestTerms)
        .grows(method::AREA_MODEL, cut.into_iter().flatten())
        .slip(fraction(a * c * common / b * common / d, common), slip::COMMON_DENOMINATOR_KEPT)
        .slip(fraction(a * d, b * c), slip::FIRST_FLIPPED)
        .near([fraction(a + c, b + d), fraction(a * c, b + d), fraction(a * c + 1, b * d)])
        .way(method::RECIPROCAL, lines("Multiply what stands above, and what stands below"))
        .way(method::AREA_MODEL, lines("Cut a unit square both ways: count the pieces that are shaded twice, and all pieces"))
}

fn quotient(prompt: String, (a, b): (i64, i64), (c, d): (i64, i64)) -> Posed {
    let typed = format!("{} ÷ {}", paren(a, b), paren(c, d));
    let answer = fraction(a * d, b * c);
    let turned =
        format!("{} × {}", paren(a, b), if c == 1 { d.to_string() } else { format!("({d}/{c})") });
    let lines = Lines::start(&typed).then(
        &turned,
        format!("Dividing by {} is multiplying by its reciprocal", tex(&show(c, d))),
    );
    let lines = in_lowest_terms(lines, a * d, b * c, "Multiply");
    Posed::value(prompt, line(&typed), line(&answer), Form::LowestTerms)
        .slip(fraction(b * c, a * d), slip::FIRST_FLIPPED)
        .slip(fraction(a * c, b * d), slip::MULTIPLIED_NOT_TURNED)
        .near([fraction(a * d + 1, b * c), fraction(a * d, b * c + 1)])
        .way(method::RECIPROCAL, lines)
}

/// A whole number and a fraction; two fractions; a fraction divided by a whole number; by a fraction.
fn bare(index: usize, draw: &mut Draw) -> Posed {
    let ((a, b), (c, d), n) = (draw.coprime(1, 9), draw.coprime(1, 9), draw.between(2, 9));
    let (first, second, divides) = match index % 4 {
        0 => ((n, 1), (a, b), false),
        1 => ((a, b), (c, d), false),
        2 => ((a, b), (n, 1), true),
        _ => ((a, b), (c, d), true),
    };
    let inside = |(n, d): (i64, i64)| tex(&show(n, d)).replace('$', "");
    let sign = if divides { "\\div" } else { "\\times" };
    let typed = format!("${} {sign} {}$", inside(first), inside(second));
    let prompt = format!("Work out {typed} in lowest terms.");
    if divides { quotient(prompt, first, second) } else { product(prompt, first, second) }
}

fn find_the_slip(draw: &mut Draw) -> Posed {
    let ((a, b), (c, d)) = loop {
        let (first, second) = (draw.coprime(1, 9), draw.coprime(2, 9));
        if first != second {
            break (first, second);
        }
    };
    let typed = format!("({a}/{b}) ÷ ({c}/{d})");
    let wrong = format!("({b}/{a}) × ({c}/{d})");
    let end = fraction(b * c, a * d);
    let posed = quotient(String::new(), (a, b), (c, d));
    with_slip(posed, draw, &[&typed, &wrong, &end], 1, slip::FIRST_FLIPPED)
}

fn missing(draw: &mut Draw) -> Posed {
    let ((a, b), (c, d)) = (draw.coprime(1, 9), draw.coprime(1, 9));
    let total = fraction(a * c, b * d);
    let equation = format!("({a}/{b}) × x = {total}");
    Posed::equation(
        format!("Which factor is missing? {}", tex(&equation)),
        line(&equation),
        "x",
        Rational::new(c.into(), d.into()),
    )
    .slip(fraction(a * a * c, b * b * d), slip::MULTIPLIED_NOT_TURNED)
    .slip(fraction(d, c), slip::FIRST_FLIPPED)
    .way(
        method::RECIPROCAL,
        Lines::start(&equation)
            .then(
                &format!("x = ({total}) ÷ ({a}/{b})"),
                format!("Divide both sides by {}", tex(&show(a, b))),
            )
            .then(&format!("x = ({total}) × ({b}/{a})"), "Multiply by the reciprocal instead")
            .then(&format!("x = {}", fraction(c, d)), "Multiply, and write it in lowest terms"),
    )
}

fn how_many_in(draw: &mut Draw) -> Posed {
    let name = scenario::name(draw);
    let d = draw.between(3, 8);
    let c = loop {
        let c = draw.between(1, d - 1);
        if gcd(c, d) == 1 {
            break c;
        }
    };
    let count = draw.between(3, 12) * if c == 1 { 1 } else { d };
    // The whole is drawn so that it comes out.
    let whole = fraction(count * c, d);
    let (n, m) = (count * c / gcd(count * c, d), d / gcd(count * c, d));
    let part = tex(&show(c, d));
    let all = tex(&whole);
    let (prompt, sentence, unit) = match draw.between(0, 2) {
        0 => (
            format!(
                "{name} fills jars that hold {part} kg each from {all} kg of honey. How many jars are filled?"
            ),
            format!("{count} jars are filled."),
            "jars",
        ),
        1 => (
            format!(
                "A feeder takes {part} litre. How many feeders can be filled from {all} litres of sugar water?"
            ),
            format!("{count} feeders can be filled."),
            "feeders",
        ),
        _ => (
            format!(
                "{name} cuts wicks of {part} m from {all} m of cotton. How many wicks are there?"
            ),
            format!("There are {count} wicks."),
            "wicks",
        ),
    };
    quotient(prompt, (n, m), (c, d)).answered(sentence, unit)
}

fn part_of(draw: &mut Draw) -> Posed {
    let name = scenario::name(draw);
    let (a, b) = draw.coprime(1, 8);
    let k = draw.between(3, 12);
    let (all, part) = (b * k, a * k);
    let x = tex(&show(a, b));
    if let Some(told) = own::fraction_of(draw, &x, all, part) {
        return product(told.prompt, (a, b), (all, 1)).answered(told.sentence, &told.unit);
    }
    let (prompt, sentence, unit) = match draw.between(0, 2) {
        0 => (
            format!("{name} has {all} jars and sells {x} of them. How many jars are sold?"),
            format!("{part} jars are sold."),
            "jars",
        ),
        1 => (
            format!("Of {all} frames {x} hold brood. How many frames hold brood?"),
            format!("{part} frames hold brood."),
            "frames",
        ),
        _ => (
            format!("{name} plants {all} seeds, and {x} of them come up. How many plants come up?"),
            format!("{part} plants come up."),
            "plants",
        ),
    };
    product(prompt, (a, b), (all, 1)).answered(sentence, unit)
}
