//! Adding and subtracting rational numbers.
//!
//! Method: a common denominator, then integers. What counts as nice: denominators to 12.

use crate::kit::*;

/// The skill `rationals.operate`.
pub struct Operate;

slips! {
    TOPS_AND_BOTTOMS = "tops-and-bottoms": "Is the sum of two halves two quarters?",
        "Adds numerators and adds denominators.";
    SIGN_OF_FRACTION_LOST = "sign-of-fraction-lost": "Which of the two has the minus? Keep it with its numerator.",
        "Loses a minus sign on the way to the common denominator.";
    FLIPPED_WRONG = "flipped-wrong": "Only the fraction that you divide by is turned over.",
        "Turns over the first fraction instead of the second.";
}

methods! {
    COMMON_DENOMINATOR = "common-denominator": "Common denominator",
    FACTOR_TREE = "factor-tree": "Factor tree for the least common multiple",
}

impl Skill for Operate {
    fn card(&self) -> Card {
        Card {
            id: "rationals.operate",
            strand: Strand::Number,
            grades: (6, 8),
            title: "Calculating with rational numbers",
            objective: "I can add and subtract positive and negative fractions.",
            vocabulary: terms![
                "rational number": "a number that is a quotient of two whole numbers",
                "common denominator": "a denominator that both fractions can have",
                "lowest terms": "with no common factor above and below",
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
            (Stage::Climb, 0) => story(draw),
            (Stage::Climb, _) => mixed(draw),
        }
    }
}

fn show(a: i64, b: i64) -> String {
    format!("{a}/{b}")
}

fn signed(a: i64, b: i64) -> String {
    if a < 0 { format!("(-{}/{b})", -a) } else { show(a, b) }
}

/// `a/b + c/d` or `a/b - c/d`.
fn sum(prompt: String, first: (i64, i64), second: (i64, i64), minus: bool) -> Posed {
    let sum = FractionSum { first, second, minus };
    let (typed, common, top) = (sum.typed(), sum.common(), sum.top());
    let (x, y) = sum.numerators();
    let (b, d) = (first.1, second.1);
    let over = format!("Bring both to the denominator {common}");
    let join = "One denominator: work with the numerators";
    let tree = Lines::start(&typed)
        .work(
            &format!("{b} = {}", times(&prime_factors(b))),
            "Split the first denominator into primes",
        )
        .work(&format!("{d} = {}", times(&prime_factors(d))), "Split the second")
        .work(&format!("lcm({b}, {d}) = {common}"), "Take every prime as often as it is needed");
    let lost = fraction(if minus { x + y } else { x.abs() + y.abs() }, common);
    let worked = sum.worked(Lines::start(&typed), &over, join);
    let last = worked.count() - 1;
    Posed::value(prompt, line(&typed), line(&fraction(top, common)), Form::LowestTerms)
        .grows(method::COMMON_DENOMINATOR, [(1, walked(&sum, false)), (last, walked(&sum, true))])
        .slip(sum.straight_across(), slip::TOPS_AND_BOTTOMS)
        .slip(lost, slip::SIGN_OF_FRACTION_LOST)
        .near([fraction(top + 1, common), fraction(-top, common), fraction(top, common * 2)])
        .way(method::COMMON_DENOMINATOR, worked)
        .way(method::FACTOR_TREE, sum.worked(tree, &over, join))
}

/// The sum on a number line, from zero; as strips where nothing is negative and all of it is within one whole.
fn walked(sum: &FractionSum, is_found: bool) -> Figure {
    let (common, (x, y), top) = (sum.common(), sum.numerators(), sum.top());
    if x > 0 && y > 0 && (0..=common).contains(&top) {
        let all = [(x, common), (y, common), (top, common)];
        return pictured::strips(if is_found { &all } else { &all[..2] });
    }
    let step = if sum.minus { -y } else { y };
    let [first, second] = [x, step].map(|n| format!("{n}/{common}"));
    let end = if is_found { fraction(top, common) } else { "?".into() };
    pictured::jumps((0, "0"), &[(&first, x, &first), (&second, top, &end)], common)
}

fn fractions(draw: &mut Draw) -> ((i64, i64), (i64, i64)) {
    loop {
        let (a, b) = draw.coprime(1, 12);
        let (c, d) = draw.coprime(1, 12);
        if b != d && lcm(b, d) <= 60 && b > 1 && d > 1 {
            return ((a, b), (c, d));
        }
    }
}

/// Signs change from rung to rung.
fn bare(index: usize, draw: &mut Draw) -> Posed {
    let ((a, b), (c, d)) = fractions(draw);
    let (a, c, minus) = [(a, -c, false), (-a, c, false), (a, -c, true), (-a, c, true)][index % 4];
    let sign = if minus { '-' } else { '+' };
    sum(
        format!("Work out {}.", tex(&format!("{} {sign} {}", show(a, b), signed(c, d)))),
        (a, b),
        (c, d),
        minus,
    )
}

fn missing(draw: &mut Draw) -> Posed {
    let ((a, b), (c, d)) = fractions(draw);
    let c = if draw.coin() { -c } else { c };
    let total = fraction(a * d + c * b, b * d);
    let equation = format!("{} + x = {total}", show(a, b));
    let answer = fraction(c, d);
    Posed::equation(
        format!("Which number is missing? {}", tex(&equation)),
        line(&equation),
        "x",
        Rational::new(c.into(), d.into()),
    )
    .slip(fraction(-c, d), slip::SIGN_OF_FRACTION_LOST)
    .slip(fraction(a * d + a * d + c * b, b * d), slip::TOPS_AND_BOTTOMS)
    .way(
        method::COMMON_DENOMINATOR,
        Lines::start(&equation)
            .then(
                &format!("x = {total} - {}", show(a, b)),
                format!("Subtract {} from both sides", tex(&show(a, b))),
            )
            .then(&format!("x = {answer}"), "Bring both to one denominator, and work it out"),
    )
}

fn find_the_slip(draw: &mut Draw) -> Posed {
    let ((a, b), (c, d)) = fractions(draw);
    let typed = format!("{} + {}", show(a, b), show(c, d));
    let raw = format!("{}/{}", a + c, b + d);
    let posed = sum(String::new(), (a, b), (c, d), false);
    with_slip(posed, draw, &[&typed, &raw], 1, slip::TOPS_AND_BOTTOMS)
}

fn mixed(draw: &mut Draw) -> Posed {
    let ((a, b), (c, d)) = fractions(draw);
    let k = draw.between(2, 5);
    let typed = format!("{k} × ({} - {})", show(a, b), show(c, d));
    let common = lcm(b, d);
    let (x, y) = (a * common / b, c * common / d);
    let answer = fraction(k * (x - y), common);
    let inner = fraction(x - y, common);
    Posed::value(
        format!("Work out {}.", tex(&typed)),
        line(&typed),
        line(&answer),
        Form::LowestTerms,
    )
    .slip(fraction(k * a * d - c * b, b * d), slip::FLIPPED_WRONG)
    .slip(fraction(k * (x + y), common), slip::SIGN_OF_FRACTION_LOST)
    .near([
        fraction(k * (x - y) + 1, common),
        fraction(x - y, common * k),
        fraction(k * (y - x), common),
    ])
    .way(
        method::COMMON_DENOMINATOR,
        Lines::start(&typed)
            .then(
                &format!("{k} × ({x}/{common} - {y}/{common})"),
                "The bracket first: a common denominator",
            )
            .then(&format!("{k} × ({inner})"), "Subtract the numerators")
            .then(&answer, "Multiply, and write it in lowest terms"),
    )
}

fn story(draw: &mut Draw) -> Posed {
    let name = scenario::name(draw);
    let ((a, b), (c, d)) = loop {
        let (first, second) = fractions(draw);
        if first.0 * second.1 > second.0 * first.1 {
            break (first, second);
        }
    };
    let (x, y) = (format!("{a}/{b}"), format!("{c}/{d}"));
    let left = fraction(a * d - c * b, b * d);
    let (prompt, sentence, unit) = match draw.between(0, 2) {
        0 => (
            format!(
                "{name} has {} litre of sugar water and feeds {} litre to the hives. How much is left?",
                tex(&x),
                tex(&y)
            ),
            format!("{} litre is left.", tex(&left)),
            "litre",
        ),
        1 => (
            format!(
                "A candle is {} of its first height in the morning and loses {} of that height by night. What part is left?",
                tex(&x),
                tex(&y)
            ),
            format!("{} of its height is left.", tex(&left)),
            "",
        ),
        _ => (
            format!(
                "{} of a meadow is in flower. {} of the meadow is mown, all of it in flower. What part is still in flower?",
                tex(&x),
                tex(&y)
            ),
            format!("{} of the meadow is still in flower.", tex(&left)),
            "",
        ),
    };
    let posed = sum(prompt, (a, b), (c, d), true);
    let plain = sentence.replace(&tex(&left), &left);
    posed.answered(plain, unit)
}
