//! Products of integers.
//!
//! Source: L. Euler, *Elements of Algebra* (Hewlett's translation), part I, section I, chapter III. What counts as
//! nice: facts of the tables to 12 on Grip.

use crate::kit::*;

/// The skill `multiply.facts-signed`.
pub struct FactsSigned;

slips! {
    TWO_NEGATIVES_NEGATIVE = "two-negatives-negative": "Turn round twice on the line. Which way do you face?",
        "Gives the product of two negatives a minus sign.";
    SIGN_LOST = "sign-lost": "Count the negative factors. Is their number odd or even?",
        "Multiplies the sizes and forgets the sign.";
    ADDED_FOR_MULTIPLIED = "added-for-multiplied": "This asks for so many times as much, not for so much more.",
        "Adds the two numbers.";
}

methods! {
    SIGN_RULE = "sign-rule": "Sign rule",
    REPEATED_ADDITION = "repeated-addition": "Repeated addition",
}

impl Skill for FactsSigned {
    fn card(&self) -> Card {
        Card {
            id: "multiply.facts-signed",
            strand: Strand::Number,
            grades: (3, 7),
            title: "Multiplying integers",
            objective: "I can multiply positive and negative numbers and tell the sign first.",
            vocabulary: terms![
                "product": "what a multiplication gives",
                "factor": "a number that is multiplied",
                "sign rule": "an even number of negative factors gives plus, an odd number gives minus",
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
            (Stage::Tilt, 0) => which_sign(draw),
            (Stage::Tilt, _) => missing(draw),
            (Stage::Climb, _) => story(draw),
        }
    }
}

fn product(prompt: String, a: i64, b: i64) -> Posed {
    let typed = format!("{} × {}", bracketed(a), bracketed(b));
    let value = a * b;
    let signs = match (a < 0, b < 0) {
        (true, true) => "Two negative factors make a positive product",
        (false, false) => "No factor is negative, so the product is positive",
        _ => "One negative factor makes a negative product",
    };
    let sizes = format!("{}({} × {})", if value < 0 { "-" } else { "" }, a.abs(), b.abs());
    let mut posed = Posed::value(prompt, line(&typed), line(&value.to_string()), Form::Any)
        .slip(
            (-value).to_string(),
            if a < 0 && b < 0 { slip::TWO_NEGATIVES_NEGATIVE } else { slip::SIGN_LOST },
        )
        .slip((a + b).to_string(), slip::ADDED_FOR_MULTIPLIED)
        .near([(value + a).to_string(), (value - b).to_string()])
        .way(
            method::SIGN_RULE,
            Lines::start(&typed).then(&sizes, signs).then(
                &value.to_string(),
                format!("{} times {} is {}", a.abs(), b.abs(), value.abs()),
            ),
        );
    if (2..=6).contains(&a) {
        let sum = vec![bracketed(b); usize::try_from(a).unwrap_or(1)].join(" + ");
        posed = posed.way(
            method::REPEATED_ADDITION,
            Lines::start(&typed)
                .then(&sum, format!("{a} jumps of {b} on the number line"))
                .then(&value.to_string(), "Add them up"),
        );
        if b > 0 && b <= 12 {
            posed = posed.grows(method::REPEATED_ADDITION, [(0, pictured::array(a, b))]);
        }
        posed =
            posed.grows(method::REPEATED_ADDITION, [(1, walked(a, b, a)), (2, walked(a, b, a))]);
    }
    posed
}

/// Jumps of `b` from zero, the first `until` of `a`.
fn walked(a: i64, b: i64, until: i64) -> Figure {
    let (jump, stops) = (b.to_string(), (1..=until.min(a)).map(|n| (n * b).to_string()));
    let stops: Vec<String> = stops.collect();
    let way: Vec<(&str, i64, &str)> =
        (1..).zip(&stops).map(|(n, stop)| (jump.as_str(), n * b, stop.as_str())).collect();
    pictured::jumps((0, "0"), &way, 1)
}

/// The signs change from rung to rung: plus times plus, plus times minus, minus times plus, minus times minus.
fn bare(index: usize, draw: &mut Draw) -> Posed {
    let (a, b) = (draw.between(2, 9), draw.between(3, 12));
    let (a, b) = [(a, b), (a, -b), (-a, b), (-a, -b)][index % 4];
    product(format!("Work out {}.", tex(&format!("{} × {}", bracketed(a), bracketed(b)))), a, b)
}

fn which_sign(draw: &mut Draw) -> Posed {
    let count = usize::try_from(draw.between(3, 4)).unwrap_or(3);
    let factors: Vec<i64> = loop {
        let drawn: Vec<i64> = (0..count).map(|_| draw.nonzero(-7, 9)).collect();
        if drawn.iter().any(|n| *n < 0) && drawn.iter().all(|n| n.abs() > 1) {
            break drawn;
        }
    };
    let typed = factors.iter().map(|n| bracketed(*n)).collect::<Vec<_>>().join(" × ");
    let negatives = factors.iter().filter(|n| **n < 0).count();
    let (word, other, sign) = if negatives.is_multiple_of(2) {
        ("positive", "negative", '>')
    } else {
        ("negative", "positive", '<')
    };
    let slip = if negatives == 2 { slip::TWO_NEGATIVES_NEGATIVE } else { slip::SIGN_LOST };
    let many = match negatives {
        0 => "No factor is negative".to_owned(),
        1 => "One factor is negative".to_owned(),
        n => format!("{n} factors are negative"),
    };
    Posed::shown(
        format!("Is {} positive or negative? Do not work it out.", tex(&typed)),
        word,
        vec![line(&format!("{typed} {sign} 0"))],
    )
    .slip(other, slip)
    .way(
        method::SIGN_RULE,
        Lines::default()
            .work(&format!("{typed} {sign} 0"), many)
            .end(format!("The product is {word}.")),
    )
}

fn missing(draw: &mut Draw) -> Posed {
    let (a, b) = (draw.between(2, 9) * *draw.one_of(&[1, -1]), draw.nonzero(-12, 12));
    let value = a * b;
    let equation = format!("{a} × n = {value}");
    Posed::equation(
        format!("Which factor is missing? {}", tex(&equation)),
        line(&equation),
        "n",
        from_int(b),
    )
    .slip((-b).to_string(), slip::SIGN_LOST)
    .slip((value - a).to_string(), slip::ADDED_FOR_MULTIPLIED)
    .way(
        method::SIGN_RULE,
        Lines::start(&equation)
            .then(&format!("n = {value} ÷ {}", bracketed(a)), format!("Divide both sides by {a}"))
            .then(&format!("n = {b}"), "Like signs give plus, unlike signs give minus"),
    )
}

fn story(draw: &mut Draw) -> Posed {
    let name = scenario::name(draw);
    let (a, b) = (draw.between(3, 9), draw.between(2, 8));
    let (prompt, sentence, unit) = match draw.between(0, 2) {
        0 => (
            format!(
                "It gets colder by {b} degrees every hour, for {a} hours. It was 0 °C at first. What does the thermometer at the hives show then?"
            ),
            format!("It shows {} °C.", -a * b),
            "°C",
        ),
        1 => (
            format!(
                "{name} takes {b} dollars out of the club's account for sugar, {a} weeks in a row. By how much does the account change? A minus means less."
            ),
            format!("It changes by {} dollars.", -a * b),
            "dollars",
        ),
        _ => (
            format!(
                "The well at the bee garden sinks by {b} cm each day. How far from its mark is the water after {a} days? Below the mark is negative."
            ),
            format!("It stands at {} cm.", -a * b),
            "cm",
        ),
    };
    product(prompt, a, -b).answered(sentence, unit)
}
