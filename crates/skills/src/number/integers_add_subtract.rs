//! Adding and subtracting integers.
//!
//! Source: L. Euler, *Elements of Algebra* (Hewlett's translation), part I, section I, chapter I. What counts as
//! nice: sizes below 13 on Grip.

use crate::kit::*;

/// The skill `integers.add-subtract`.
pub struct AddSubtract;

slips! {
    SIZES_ADDED = "sizes-added": "Do the two numbers pull the same way on the line, or against each other?",
        "Adds the sizes and keeps one of the signs.";
    SIGN_OF_SMALLER = "sign-of-smaller": "Which number is further from zero? Its sign wins.",
        "Finds the difference of the sizes, but gives it the sign of the smaller one.";
    MINUS_MINUS_AS_MINUS = "minus-minus-as-minus": "What does taking away a debt do to what you have?",
        "Subtracts where a negative number is taken away.";
}

methods! {
    ADD_THE_OPPOSITE = "add-the-opposite": "Add the opposite",
    NUMBER_LINE = "number-line": "Number line",
    ZERO_PAIRS = "zero-pairs": "Zero pairs",
}

impl Skill for AddSubtract {
    fn card(&self) -> Card {
        Card {
            id: "integers.add-subtract",
            strand: Strand::Number,
            grades: (5, 7),
            title: "Adding and subtracting integers",
            objective: "I can add and subtract positive and negative whole numbers.",
            vocabulary: &[
                Term { word: "integer", means: "a whole number: positive, negative, or zero" },
                Term { word: "opposite", means: "the number as far from zero on the other side" },
                Term { word: "zero pair", means: "one and minus one, which together make zero" },
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
            (Stage::Tilt, 0) => true_or_false(draw),
            (Stage::Tilt, 1) => missing(draw),
            (Stage::Tilt, _) => find_the_slip(draw),
            (Stage::Climb, 0) => several(draw),
            (Stage::Climb, _) => story(draw),
        }
    }
}

/// `a + b` or `a - b` with every way to work it.
fn worked(prompt: String, a: i64, b: i64, minus: bool) -> Posed {
    let sign = if minus { '-' } else { '+' };
    let typed = format!("{a} {sign} {}", bracketed(b));
    let c = if minus { -b } else { b };
    let value = a + c;
    let plain = if c < 0 { format!("{a} - {}", -c) } else { format!("{a} + {c}") };
    let mut opposite = Lines::start(&typed);
    if minus {
        opposite = opposite.then(
            &format!("{a} + {}", bracketed(c)),
            format!("Taking away {b} is adding its opposite, {c}"),
        );
    }
    if c < 0 {
        opposite = opposite.then(&plain, format!("Adding {c} is taking away {}", -c));
    }
    let way = if c < 0 { "left" } else { "right" };
    let steps = if c.abs() == 1 { "1 step".to_owned() } else { format!("{} steps", c.abs()) };
    let turn = if minus && b < 0 { ", because a negative is taken away" } else { "" };
    let mut posed = Posed::value(prompt, line(&typed), line(&value.to_string()), Form::Any)
        .way(method::ADD_THE_OPPOSITE, opposite.then(&value.to_string(), "Work it out"))
        .way(
            method::NUMBER_LINE,
            Lines::start(&typed).then(
                &value.to_string(),
                format!("Start at {a} and go {steps} to the {way}{turn}"),
            ),
        );
    let (low, high) = (a.min(value).min(0) - 2, a.max(value).max(0) + 2);
    // Marks that touch are one to the eye.
    if (a - value).abs() * 12 >= high - low {
        posed = posed.grows(
            method::NUMBER_LINE,
            [
                (0, pictured::number_line(low, high, &[a])),
                (1, pictured::number_line(low, high, &[a, value])),
            ],
        );
    }
    if (a < 0) != (c < 0) && !minus && a != 0 {
        let pairs = a.abs().min(c.abs());
        let (large, small) = if a.abs() >= c.abs() { (a, c) } else { (c, a) };
        let rest = large + small;
        posed = posed.way(
            method::ZERO_PAIRS,
            Lines::start(&typed)
                .then(
                    &format!("({rest} + {}) + {}", bracketed(-small), bracketed(small)),
                    format!("Split {large}, so that {pairs} of each sign can pair up"),
                )
                .then(&value.to_string(), "The pairs make zero and go"),
        );
        posed = posed.grows(
            method::ZERO_PAIRS,
            [
                (0, pictured::counters(a, c, 0)),
                (1, pictured::counters(a, c, pairs)),
                (2, pictured::counters(value.max(0), value.min(0), 0)),
            ],
        );
    }
    let sizes = a.abs() + c.abs();
    posed = posed
        .slip((if a < 0 { -sizes } else { sizes }).to_string(), slip::SIZES_ADDED)
        .slip((-value).to_string(), slip::SIGN_OF_SMALLER);
    if minus && b < 0 {
        posed = posed.slip((a + b).to_string(), slip::MINUS_MINUS_AS_MINUS);
    }
    posed.near([(value + 1).to_string(), (a - c).to_string(), (value - 2).to_string()])
}

fn pair(draw: &mut Draw) -> (i64, i64) {
    loop {
        let (a, b) = (draw.nonzero(-12, 12), draw.nonzero(-12, 12));
        if (a < 0 || b < 0) && a + b != 0 && a != b {
            return (a, b);
        }
    }
}

/// Positive and negative added; two negatives added; a negative taken away; a positive taken away.
fn bare(index: usize, draw: &mut Draw) -> Posed {
    let (big, small) = (draw.between(5, 12), draw.between(2, 9));
    let (a, b, minus) = match index % 4 {
        0 => (big, -small, false),
        1 => (-big, -small, false),
        2 => (small, -big, true),
        _ => (-small, big, true),
    };
    let sign = if minus { '-' } else { '+' };
    worked(format!("Work out {}.", tex(&format!("{a} {sign} {}", bracketed(b)))), a, b, minus)
}

fn true_or_false(draw: &mut Draw) -> Posed {
    let ((a, b), minus) = (pair(draw), draw.coin());
    let sign = if minus { '-' } else { '+' };
    let value = if minus { a - b } else { a + b };
    let is_true = draw.coin();
    let told = if is_true {
        value
    } else if minus {
        a + b
    } else {
        -value
    };
    let typed = format!("{a} {sign} {}", bracketed(b));
    let claim = format!("{typed} = {told}");
    let end = if is_true {
        "It is true.".to_owned()
    } else {
        format!("It is false: it is {value}, not {told}.")
    };
    Posed::claim(format!("True or false? {} Say why.", tex(&claim)), line(&claim), is_true).way(
        method::NUMBER_LINE,
        Lines::default().work(&format!("{typed} = {value}"), "Walk it on the number line").end(end),
    )
}

fn missing(draw: &mut Draw) -> Posed {
    let (a, b) = pair(draw);
    let sum = a + b;
    let equation = format!("{a} + n = {sum}");
    let undo = if a < 0 { format!("n = {sum} + {}", -a) } else { format!("n = {sum} - {a}") };
    let reason = if a < 0 {
        format!("Add {} to both sides", -a)
    } else {
        format!("Subtract {a} from both sides")
    };
    Posed::equation(
        format!("Which number is missing? {}", tex(&equation)),
        line(&equation),
        "n",
        from_int(b),
    )
    .near([(sum + a).to_string()])
    .slip((-b).to_string(), slip::SIGN_OF_SMALLER)
    .way(
        method::ADD_THE_OPPOSITE,
        Lines::start(&equation).then(&undo, reason).then(&format!("n = {b}"), "Work it out"),
    )
}

fn find_the_slip(draw: &mut Draw) -> Posed {
    let (a, b) = (draw.between(2, 12), draw.between(2, 12));
    let typed = format!("{a} - {}", bracketed(-b));
    let wrong = format!("{a} - {b}");
    let lines = [typed.as_str(), &wrong, &(a - b).to_string()];
    with_slip(worked(String::new(), a, -b, true), draw, &lines, 1, slip::MINUS_MINUS_AS_MINUS)
}

fn several(draw: &mut Draw) -> Posed {
    let (a, b, c) = (draw.nonzero(-15, 15), draw.between(-14, -2), draw.between(-12, -2));
    let typed = format!("{a} + {} - {}", bracketed(b), bracketed(c));
    let value = a + b - c;
    Posed::value(
        format!("Work out {}.", tex(&typed)),
        line(&typed),
        line(&value.to_string()),
        Form::Any,
    )
    .slip((a + b + c).to_string(), slip::MINUS_MINUS_AS_MINUS)
    .slip((a.abs() + b.abs() + c.abs()).to_string(), slip::SIZES_ADDED)
    .near([(a - b - c).to_string(), (value + 1).to_string(), (value - 1).to_string()])
    .way(
        method::ADD_THE_OPPOSITE,
        Lines::start(&typed)
            .then(
                &format!("{a} - {} + {}", -b, -c),
                "Write every step as plain adding or taking away",
            )
            .then(&format!("{} + {}", a + b, -c), "Go on from the left")
            .then(&value.to_string(), "Work it out"),
    )
}

fn story(draw: &mut Draw) -> Posed {
    let name = scenario::name(draw);
    let (start, up, down) = (draw.between(-9, 4), draw.between(6, 14), draw.between(3, 12));
    let end = start + up - down;
    let (prompt, sentence, unit) = match draw.between(0, 2) {
        0 => (
            format!(
                "At dawn it is {start} °C in the bee garden. By noon it is {up} degrees warmer, and by night \
                 {down} degrees colder again. How cold is it at night?"
            ),
            format!("It is {end} °C at night."),
            "°C",
        ),
        1 => (
            format!(
                "The bee club has {start} dollars in its account, a minus being what it owes. It earns {up} \
                 dollars and pays {down} dollars for sugar. What does the account say now?"
            ),
            format!("The account says {end} dollars."),
            "dollars",
        ),
        _ => (
            format!(
                "The pond at the bee garden stands at {start} cm on {name}'s scale. Rain lifts it by {up} cm, \
                 then a dry week lowers it by {down} cm. Where does it stand now?"
            ),
            format!("It stands at {end} cm."),
            "cm",
        ),
    };
    let typed = format!("{start} + {up} - {down}");
    Posed::value(prompt, line(&typed), line(&end.to_string()), Form::Any)
        .slip((start.abs() + up - down).to_string(), slip::SIZES_ADDED)
        .slip((-end).to_string(), slip::SIGN_OF_SMALLER)
        .near([(start - up + down).to_string(), (end + 1).to_string(), (end - 2).to_string()])
        .way(
            method::NUMBER_LINE,
            Lines::start(&typed)
                .then(&format!("{} - {down}", start + up), format!("Go {up} up"))
                .then(&end.to_string(), format!("Then {down} down")),
        )
        .answered(sentence, unit)
}
