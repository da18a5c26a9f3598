//! Adding and subtracting fractions.
//!
//! Method: a common denominator. What counts as nice: same denominators, then one a multiple of the other.

use crate::kit::*;

/// The skill `fractions.add-subtract`.
pub struct FractionsAddSubtract;

slips! {
    TOPS_AND_BOTTOMS_ADDED = "tops-and-bottoms-added": "Is a half and a half two quarters?",
        "Adds the numerators and adds the denominators.";
    NUMERATORS_KEPT = "numerators-kept": "The pieces are smaller now. Are there still as many?",
        "Changes the denominators and leaves the numerators as they were.";
}

methods! {
    COMMON_DENOMINATOR = "common-denominator": "Common denominator",
    BAR = "bar": "Bar",
}

impl Skill for FractionsAddSubtract {
    fn card(&self) -> Card {
        Card {
            id: "fractions.add-subtract",
            strand: Strand::FractionsRatio,
            grades: (4, 7),
            title: "Adding and subtracting fractions",
            objective: "I can add and subtract fractions with different denominators.",
            vocabulary: terms![
                "common denominator": "a denominator that both fractions can have",
                "sum": "what an addition gives",
                "lowest terms": "no number but 1 goes into both parts",
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
            (Stage::Climb, 0) => perimeter(draw),
            (Stage::Climb, _) => story(draw),
        }
    }
}

fn show(n: i64, d: i64) -> String {
    format!("{n}/{d}")
}

fn worked(prompt: String, first: (i64, i64), second: (i64, i64), sign: char) -> Posed {
    let sum = FractionSum { first, second, minus: sign == '-' };
    let (typed, common, top) = (sum.typed(), sum.common(), sum.top());
    let (a, c) = (first.0, second.0);
    let kept = if sum.minus { fraction((a - c).abs(), common) } else { fraction(a + c, common) };
    let over = format!("Bring both to the denominator {common}");
    let pieces = format!("Cut both bars into pieces of one size, {common} to the whole");
    let join = "One denominator: work with the numerators";
    Posed::value(prompt, line(&typed), line(&fraction(top, common)), Form::LowestTerms)
        .slip(sum.straight_across(), slip::TOPS_AND_BOTTOMS_ADDED)
        .slip(kept, slip::NUMERATORS_KEPT)
        .near([fraction(top + 1, common), fraction(top + 2, common), fraction(top, common + 1)])
        .way(method::COMMON_DENOMINATOR, sum.worked(Lines::start(&typed), &over, join))
        .way(method::BAR, sum.worked(Lines::start(&typed), &pieces, "Count the pieces"))
        .grows(method::BAR, bars(&sum))
}

/// Both fractions as strips, then in pieces of one size, then what they come to.
fn bars(sum: &FractionSum) -> Vec<(usize, Figure)> {
    let (common, (x, y)) = (sum.common(), sum.numerators());
    let result = sum.top();
    let own = pictured::strips(&[sum.first, sum.second]);
    // More than one whole does not lie on one strip.
    if x > common || y > common || result > common {
        return vec![(0, own)];
    }
    let same = pictured::strips(&[(x, common), (y, common), (result, common)]);
    let last = if sum.first.1 == sum.second.1 { 1 } else { 2 };
    vec![(0, own), (last, same)]
}

/// One denominator; one a multiple of the other; plus, then minus.
fn pair(index: usize, draw: &mut Draw) -> ((i64, i64), (i64, i64)) {
    loop {
        let (a, b) = draw.coprime(1, 10);
        let k = match index % 4 {
            0 | 1 => 1,
            _ => draw.between(2, 4),
        };
        let d = b * k;
        let c = draw.between(1, d - 1);
        let in_order = a * d > c * b;
        if b > 2
            && gcd(c, d) == 1
            && (k == 1 || d != b)
            && a * d != c * b
            && (index.is_multiple_of(2) || in_order)
        {
            return ((a, b), (c, d));
        }
    }
}

fn bare(index: usize, draw: &mut Draw) -> Posed {
    let (first, second) = pair(index, draw);
    let sign = if index.is_multiple_of(2) { '+' } else { '-' };
    let typed = format!("{} {sign} {}", show(first.0, first.1), show(second.0, second.1));
    worked(format!("Work out {} in lowest terms.", tex(&typed)), first, second, sign)
}

fn different(draw: &mut Draw) -> ((i64, i64), (i64, i64)) {
    loop {
        let ((a, b), (c, d)) = (draw.coprime(1, 9), draw.coprime(1, 9));
        if b % d != 0 && d % b != 0 && lcm(b, d) <= 60 {
            return if a * d > c * b { ((a, b), (c, d)) } else { ((c, d), (a, b)) };
        }
    }
}

fn find_the_slip(draw: &mut Draw) -> Posed {
    let ((a, b), (c, d)) = different(draw);
    let typed = format!("{} + {}", show(a, b), show(c, d));
    let common = lcm(b, d);
    let (wrong, slip) = if draw.coin() {
        (show(a + c, b + d), slip::TOPS_AND_BOTTOMS_ADDED)
    } else {
        (format!("{}/{common} + {}/{common}", a, c), slip::NUMERATORS_KEPT)
    };
    with_slip(worked(String::new(), (a, b), (c, d), '+'), draw, &[&typed, &wrong], 1, slip)
}

fn missing(draw: &mut Draw) -> Posed {
    let ((a, b), (c, d)) = different(draw);
    let total = fraction(a * d + c * b, b * d);
    let equation = format!("{} + x = {total}", show(c, d));
    let common = lcm(b, d);
    Posed::equation(
        format!("Which fraction is missing? {}", tex(&equation)),
        line(&equation),
        "x",
        Rational::new(a.into(), b.into()),
    )
    .slip(fraction(2 * c * b + a * d, b * d), slip::TOPS_AND_BOTTOMS_ADDED)
    .way(
        method::COMMON_DENOMINATOR,
        Lines::start(&equation)
            .then(
                &format!("x = {total} - {}", show(c, d)),
                format!("Take {} away from both sides", tex(&show(c, d))),
            )
            .then(
                &format!(
                    "x = {}/{common} - {}/{common}",
                    (a * d + c * b) * common / (b * d),
                    c * common / d
                ),
                format!("Bring both to the denominator {common}"),
            )
            .then(&format!("x = {}", fraction(a, b)), "Subtract, and write it in lowest terms"),
    )
}

fn mixed(whole: i64, n: i64, d: i64) -> String {
    format!("{whole} {n}/{d}")
}

fn perimeter(draw: &mut Draw) -> Posed {
    let ((a, b), (c, d)) = different(draw);
    let (p, q) = (draw.between(2, 6), draw.between(1, 5));
    let typed = format!("2 × ({} + {})", mixed(p, a, b), mixed(q, c, d));
    let common = lcm(b, d);
    let top = 2 * ((p * b + a) * common / b + (q * d + c) * common / d);
    let answer = fraction(top, common);
    let inner = fraction(top / 2, common);
    let thing = *draw.one_of(&["A bed of clover", "A bed of thyme", "The floor of the honey room"]);
    Posed::value(
        format!("{thing} is {} m long and {} m wide. What is its perimeter in metres, as a fraction in lowest terms?", tex(&mixed(p, a, b)), tex(&mixed(q, c, d))),
        line(&typed),
        line(&answer),
        Form::ImproperFraction,
    )
    .slip(fraction(2 * (p + q) * (b + d) + 2 * (a + c), b + d), slip::TOPS_AND_BOTTOMS_ADDED)
    .slip(inner.clone(), slip::NUMERATORS_KEPT)
    .near([fraction(top + 2, common), fraction(top - 1, common)])
    .way(method::COMMON_DENOMINATOR, Lines::start(&typed)
        .then(&format!("2 × ({}/{common} + {}/{common})", (p * b + a) * common / b, (q * d + c) * common / d), format!("Write both as fractions with the denominator {common}"))
        .then(&format!("2 × {}", if inner.contains('/') { format!("({inner})") } else { inner.clone() }), "Add the two sides")
        .then(&answer, "Double it, and write it in lowest terms"))
    .answered(format!("The perimeter is {answer} m."), "m")
}

fn story(draw: &mut Draw) -> Posed {
    let name = scenario::name(draw);
    let (first, second) = different(draw);
    let (x, y) = (tex(&show(first.0, first.1)), tex(&show(second.0, second.1)));
    let sign = if draw.coin() { '+' } else { '-' };
    let (a, b, c, d) = (first.0, first.1, second.0, second.1);
    let value =
        if sign == '+' { fraction(a * d + c * b, b * d) } else { fraction(a * d - c * b, b * d) };
    let at = usize::try_from(draw.between(0, 2)).unwrap_or(0);
    let (prompt, sentence) = if sign == '+' {
        [
            (format!("{name} pours {x} litre of sugar water into one feeder and {y} litre into another. How much is that together?"), format!("Together it is {value} litre.")),
            (format!("{name} waters the herbs for {x} hour and weeds for {y} hour. How long does the work take?"), format!("It takes {value} hour.")),
            (format!("One candle needs {x} kg of wax, another {y} kg. How much wax do both need?"), format!("Both need {value} kg.")),
        ][at].clone()
    } else {
        [
            (format!("A jar holds {x} kg of honey. {name} takes {y} kg for a cake. How much is left?"), format!("{value} kg is left.")),
            (format!("A ribbon is {x} m long. {name} cuts off {y} m for a gift. How long is the rest?"), format!("The rest is {value} m long.")),
            (format!("The feeder held {x} litre in the morning, and the bees drank {y} litre. How much is left?"), format!("{value} litre is left.")),
        ][at].clone()
    };
    worked(prompt, first, second, sign).answered(sentence, "")
}
