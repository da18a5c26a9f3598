//! Sequences that grow by the same step or by the same factor.
//!
//! Method: a table of differences; the nth term is as many steps as n, set right for the first term. What counts as nice:
//! steps to 9, factors 2 to 5.

use crate::kit::*;
use teaching::figure::PatternKind;

/// The skill `sequences.linear-geometric`.
pub struct LinearGeometric;

slips! {
    FIRST_TERM_FOR_DIFFERENCE = "first-term-for-difference": "By how much does the sequence grow from term to term?",
        "Takes the first term for the difference.";
    FIRST_TERM_NOT_SET_RIGHT = "first-term-not-set-right": "Put n = 1 into your rule. Is it the first term?",
        "Adds the first term without taking one step away.";
    STEP_FOR_FACTOR = "step-for-factor": "Is the same added each time, or is it multiplied?",
        "Takes a geometric sequence for a linear one.";
    ONE_STEP_OFF = "one-step-off": "How many steps lead from the first term to it?",
        "Counts one step too many or too few.";
}

methods! {
    DIFFERENCE_TABLE = "difference-table": "Table of differences",
    RATIO_TABLE = "ratio-table": "Table of ratios",
}

impl Skill for LinearGeometric {
    fn card(&self) -> Card {
        Card {
            id: "sequences.linear-geometric",
            strand: Strand::Algebra,
            grades: (7, 11),
            title: "Linear and geometric sequences",
            objective: "I can continue a sequence and find a rule for its nth term.",
            vocabulary: terms![
                "term": "one of the numbers of a sequence",
                "common difference": "what is added from each term to the next",
                "common ratio": "what each term is multiplied by to give the next",
                "nth term": "a rule that gives every term from its place",
            ],
            methods: METHODS,
        }
    }

    fn slips(&self) -> &'static [&'static dyn Slip] {
        SLIPS
    }

    fn pose(&self, stage: Stage, index: usize, draw: &mut Draw) -> Posed {
        match (stage, index % 3) {
            (Stage::Grip, 0) => next_linear(draw),
            (Stage::Grip, 1) => next_geometric(draw),
            (Stage::Grip, _) => nth(draw),
            (Stage::Tilt, 0) => which_term(draw),
            (Stage::Tilt, 1) => between(draw),
            (Stage::Tilt, _) => nth_geometric(draw),
            (Stage::Climb, _) => cells(index, draw),
        }
    }
}

fn told(terms: &[i64]) -> String {
    let shown: Vec<String> = terms.iter().map(i64::to_string).collect();
    format!("{}, …", shown.join(", "))
}

fn linear(first: i64, step: i64, count: i64) -> Vec<i64> {
    (0..count).map(|n| first + n * step).collect()
}

fn geometric(first: i64, ratio: i64, count: u32) -> Vec<i64> {
    (0..count).map(|n| first * ratio.pow(n)).collect()
}

fn step_of(draw: &mut Draw) -> (i64, i64) {
    loop {
        let (first, step) = (draw.between(-9, 20), draw.nonzero(-9, 9));
        if step.abs() > 1 && first != step {
            return (first, step);
        }
    }
}

fn next_linear(draw: &mut Draw) -> Posed {
    let (first, step) = step_of(draw);
    let terms = linear(first, step, 4);
    let (last, next) = (terms[3], first + 4 * step);
    let typed = format!("{last} + {}", bracketed(step));
    Posed::value(
        format!("Which number comes next: {}?", told(&terms)),
        line(&typed),
        line(&next.to_string()),
        Form::Any,
    )
    .slip((last + first).to_string(), slip::FIRST_TERM_FOR_DIFFERENCE)
    .near([(last + 2 * step).to_string(), (last + step + 1).to_string()])
    .way(
        method::DIFFERENCE_TABLE,
        Lines::start(&typed)
            .work(
                &format!("{} - {} = {step}", bracketed(terms[1]), bracketed(first)),
                "The same step from term to term",
            )
            .work(
                &format!("{} - {} = {step}", bracketed(last), bracketed(terms[2])),
                "and at the end, too",
            )
            .then(&next.to_string(), "One more step"),
    )
}

fn next_geometric(draw: &mut Draw) -> Posed {
    let (first, ratio) = (draw.between(1, 6), draw.between(2, 4));
    let terms = geometric(first, ratio, 4);
    let (last, next) = (terms[3], terms[3] * ratio);
    let typed = format!("{last} × {ratio}");
    Posed::value(
        format!("Which number comes next: {}?", told(&terms)),
        line(&typed),
        line(&next.to_string()),
        Form::Any,
    )
    .slip((2 * last - terms[2]).to_string(), slip::STEP_FOR_FACTOR)
    .slip((last + first).to_string(), slip::FIRST_TERM_FOR_DIFFERENCE)
    .near([(next * ratio).to_string(), (next + ratio).to_string()])
    .way(
        method::RATIO_TABLE,
        Lines::start(&typed)
            .work(&format!("{} ÷ {first} = {ratio}", terms[1]), "The same factor from term to term")
            .work(&format!("{last} ÷ {} = {ratio}", terms[2]), "and at the end, too")
            .then(&next.to_string(), "Multiply once more"),
    )
}

fn rule(first: i64, step: i64) -> String {
    sum(&[(step, "n"), (first - step, "")])
}

fn nth(draw: &mut Draw) -> Posed {
    let (first, step) = step_of(draw);
    let terms = linear(first, step, 4);
    nth_of(
        format!("Find a rule for the nth term of {} The first term has $n = 1$.", told(&terms)),
        &terms,
        first,
        step,
    )
}

/// A rule for the nth term of a linear sequence.
fn nth_of(prompt: String, terms: &[i64], first: i64, step: i64) -> Posed {
    let typed = format!("{first} + (n - 1) × {}", bracketed(step));
    let answer = rule(first, step);
    Posed::value(prompt, line(&typed), line(&answer), Form::Expanded)
        .slip(sum(&[(first, "n"), (step, "")]), slip::FIRST_TERM_FOR_DIFFERENCE)
        .slip(sum(&[(step, "n"), (first, "")]), slip::FIRST_TERM_NOT_SET_RIGHT)
        .near([
            sum(&[(step, "n"), (first - step - 1, "")]),
            sum(&[(-step, "n"), (first + step, "")]),
            sum(&[(1, "n"), (step, "")]),
        ])
        .way(
            method::DIFFERENCE_TABLE,
            Lines::default()
                .work(
                    &format!("{} - {} = {step}", bracketed(terms[1]), bracketed(first)),
                    "The common difference",
                )
                .say("The nth term is $n - 1$ steps after the first.", "Count the steps")
                .begin(&typed, "First term and steps")
                .then(&answer, "Multiply out and collect")
                .work(
                    &format!("{step} × 3 + {} = {}", bracketed(first - step), terms[2]),
                    "Check with the third term",
                ),
        )
}

fn nth_geometric(draw: &mut Draw) -> Posed {
    let (first, ratio) = (draw.between(2, 6), draw.between(2, 5));
    let terms = geometric(first, ratio, 4);
    let typed = format!("{first} × {ratio}^(n - 1)");
    let n = draw.between(5, 6);
    let power = u32::try_from(n - 1).unwrap_or(4);
    let value = first * ratio.pow(power);
    let asked = format!("{first} × {ratio}^({n} - 1)");
    Posed::value(
        format!(
            "The nth term of {} is {}. Find term number {n}.",
            told(&terms).trim_end_matches(", …"),
            tex(&typed)
        ),
        line(&asked),
        line(&value.to_string()),
        Form::Any,
    )
    .slip((value * ratio).to_string(), slip::ONE_STEP_OFF)
    .slip((first + (n - 1) * (terms[1] - first)).to_string(), slip::STEP_FOR_FACTOR)
    .near([(value / ratio).to_string(), (first * ratio * (n - 1)).to_string()])
    .way(
        method::RATIO_TABLE,
        Lines::start(&asked)
            .then(
                &format!("{first} × {ratio}^{}", n - 1),
                format!("From term 1 to term {n} it is multiplied {} times", n - 1),
            )
            .then(&format!("{first} × {}", ratio.pow(power)), "Work the power out")
            .then(&value.to_string(), "Multiply"),
    )
}

fn which_term(draw: &mut Draw) -> Posed {
    let (first, step) = step_of(draw);
    let n = draw.between(12, 60);
    let terms = linear(first, step, 4);
    let value = first + (n - 1) * step;
    let equation = format!("{} = {value}", rule(first, step));
    let posed = Posed::equation(
        format!("Which term of {} is {value}?", told(&terms).trim_end_matches(", …")),
        line(&equation),
        "n",
        from_int(n),
    )
    .slip((n - 1).to_string(), slip::ONE_STEP_OFF)
    .slip((n + 1).to_string(), slip::ONE_STEP_OFF)
    .slip(fraction(value, first.abs().max(2)), slip::FIRST_TERM_FOR_DIFFERENCE);
    match board(&equation, "n", None) {
        Some(working) => posed.way(method::DIFFERENCE_TABLE, working),
        None => posed,
    }
}

/// The terms between two that are known.
fn between(draw: &mut Draw) -> Posed {
    let (first, step) = step_of(draw);
    let gaps = draw.between(3, 5);
    let last = first + gaps * step;
    let equation = format!("{first} + {gaps}d = {last}");
    let posed = Posed::equation(
        format!(
            "A linear sequence goes from {first} to {last} in {gaps} steps. How large is each step?"
        ),
        line(&equation),
        "d",
        from_int(step),
    )
    .slip(fraction(last - first, gaps + 1), slip::ONE_STEP_OFF)
    .slip(fraction(last, gaps), slip::FIRST_TERM_NOT_SET_RIGHT)
    .near([(last - first).to_string(), (-step).to_string()]);
    match board(&equation, "d", None) {
        Some(working) => posed.way(method::DIFFERENCE_TABLE, working),
        None => posed,
    }
}

/// What grows piece by piece in the garden.
struct Growing {
    /// What it is, how it starts, and how it goes on.
    text: &'static str,
    /// How many there are at first.
    first: i64,
    /// How many each further piece brings.
    step: i64,
    /// What is counted.
    unit: &'static str,
    /// Asks for their number after `{}` pieces.
    how_many: &'static str,
    /// Asks for the pieces at which there are `{}` of them.
    which: &'static str,
    /// What its picture is built of.
    built: PatternKind,
}

impl Growing {
    /// Its first figures.
    fn figure(&self) -> Figure {
        let count = |n: &i64| u32::try_from(*n).unwrap_or(0);
        let counts = linear(self.first, self.step, 4).iter().map(count).collect();
        Figure::Pattern { built: self.built, counts }
    }
}

const PATTERNS: &[Growing] = &[
    Growing {
        text: "A row of wax cells is laid out with sticks. One cell takes 6 sticks, and each further cell takes 5 more.",
        first: 6,
        step: 5,
        unit: "sticks",
        how_many: "How many sticks does it take for {} in a row?",
        which: "How many in a row can be laid out with {} sticks?",
        built: PatternKind::Cells,
    },
    Growing {
        text: "A fence of squares is laid out with sticks. One square takes 4 sticks, and each further square takes 3 more.",
        first: 4,
        step: 3,
        unit: "sticks",
        how_many: "How many sticks does it take for {} in a row?",
        which: "How many in a row can be laid out with {} sticks?",
        built: PatternKind::Squares,
    },
    Growing {
        text: "Candles stand in rows. The first row has 5 candles, and each further row has 4 more than the one before.",
        first: 5,
        step: 4,
        unit: "candles",
        how_many: "How many candles are in row number {}?",
        which: "Which row has {} candles?",
        built: PatternKind::Dots,
    },
    Growing {
        text: "Tables at the market stall stand end to end. At one table there are 8 chairs, and each further table brings 6 more.",
        first: 8,
        step: 6,
        unit: "chairs",
        how_many: "How many chairs are there at {} tables?",
        which: "For how many tables are there {} chairs?",
        built: PatternKind::Dots,
    },
    Growing {
        text: "Flags hang on a line. The first string has 7 flags, and each further string has 2 more than the one before.",
        first: 7,
        step: 2,
        unit: "flags",
        how_many: "How many flags are in string number {}?",
        which: "Which string has {} flags?",
        built: PatternKind::Dots,
    },
];

fn cells(index: usize, draw: &mut Draw) -> Posed {
    let growing = draw.one_of(PATTERNS);
    let Growing { text, first, step, unit, how_many, which, .. } = *growing;
    let n = draw.between(12, 60);
    let value = first + (n - 1) * step;
    let asked = |text: &str, number: i64| text.replace("{}", &number.to_string());
    if index.is_multiple_of(2) {
        let typed = format!("{first} + ({n} - 1) × {step}");
        let each = asked(how_many, n);
        Posed::value(format!("{text} {each}"), line(&typed), line(&value.to_string()), Form::Any)
            .knows(
                World::by(formulas::LINEAR_TERM)
                    .given("first term", "a", first, "")
                    .given("difference", "d", step, "")
                    .given("number of the term", "n", n, "")
                    .asked("term", "t_n", value, unit),
            )
            .slip((value + step).to_string(), slip::FIRST_TERM_NOT_SET_RIGHT)
            .slip((first * n).to_string(), slip::FIRST_TERM_FOR_DIFFERENCE)
            .slip((value - step).to_string(), slip::ONE_STEP_OFF)
            .near([(step * n).to_string()])
            .way(
                method::DIFFERENCE_TABLE,
                Lines::start(&typed)
                    .then(
                        &format!("{first} + {} × {step}", n - 1),
                        format!("After the first there are {} steps", n - 1),
                    )
                    .then(&format!("{first} + {}", (n - 1) * step), "Multiply")
                    .then(&value.to_string(), "Add"),
            )
            .figure(growing.figure())
            .answered(format!("It is {value} {unit}."), unit)
    } else {
        let equation = format!("{} = {value}", rule(first, step));
        let each = asked(which, value);
        let posed = Posed::equation(format!("{text} {each}"), line(&equation), "n", from_int(n))
            .knows(
                World::by(formulas::LINEAR_TERM)
                    .given("first term", "a", first, "")
                    .given("difference", "d", step, "")
                    .given("term", "t_n", value, unit)
                    .asked("number of the term", "n", n, ""),
            )
            .slip((n - 1).to_string(), slip::ONE_STEP_OFF)
            .slip(fraction(value, first), slip::FIRST_TERM_FOR_DIFFERENCE)
            .near([(n + 1).to_string()])
            .figure(growing.figure())
            .answered(format!("It is {n}."), "");
        match board(&equation, "n", None) {
            Some(working) => posed.way(method::DIFFERENCE_TABLE, working),
            None => posed,
        }
    }
}
