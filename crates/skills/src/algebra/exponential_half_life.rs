//! Halving again and again.
//!
//! Methods: halve step by step; the power of one half. What counts as nice: starts that can be halved often.

use crate::kit::*;
use teaching::figure::{Curve, Place};

/// The skill `exponential.half-life`.
pub struct HalfLife;

slips! {
    MULTIPLIED_BY_NUMBER = "multiplied-by-number": "Halve what is left, not the amount at the start.",
        "Multiplies by the number of half-lives, or divides by it.";
    START_HALVED_EACH_TIME = "start-halved-each-time": "What is left after the first half-life? Halve that.",
        "Takes half of the start away each time.";
    ONE_HALVING_OFF = "one-halving-off": "How often was it halved?",
        "Halves once too often or too rarely.";
    TIME_FOR_COUNT = "time-for-count": "How many half-lives are in that time?",
        "Takes the time for the number of half-lives.";
}

methods! {
    HALVE_STEP_BY_STEP = "halve-step-by-step": "Halve step by step",
    POWER = "power": "Power of one half",
}

impl Skill for HalfLife {
    fn card(&self) -> Card {
        Card {
            id: "exponential.half-life",
            strand: Strand::Algebra,
            grades: (8, 12),
            title: "Half-life",
            objective: "I can say how much is left after several half-lives, and how long that takes.",
            vocabulary: terms![
                "half-life": "the time in which half of it goes",
                "decay": "get less by the same factor in equal times",
                "exponential": "with the unknown in the exponent",
            ],
            methods: METHODS,
        }
    }

    fn slips(&self) -> &'static [&'static dyn Slip] {
        SLIPS
    }

    fn pose(&self, stage: Stage, index: usize, draw: &mut Draw) -> Posed {
        match (stage, index % 3) {
            (Stage::Grip, _) => amount(draw),
            (Stage::Tilt, 0) => how_many(draw),
            (Stage::Tilt, 1) => how_long(draw),
            (Stage::Tilt, _) if index.is_multiple_of(2) => find_the_slip(draw),
            (Stage::Tilt, _) => the_half_life(draw),
            (Stage::Climb, 0) => between_the_steps(draw),
            (Stage::Climb, 1) => when(draw),
            (Stage::Climb, _) if index.is_multiple_of(2) => share_left(draw),
            (Stage::Climb, _) => on_a_curve(draw),
        }
    }
}

/// Something that fades, the unit of its half-life, where that is, and the unit of its amount.
struct Fading {
    what: &'static str,
    time: &'static str,
    place: &'static str,
    unit: &'static str,
}

const FADING: &[Fading] = &[
    Fading { what: "The scent of a lure for swarms", time: "days", place: "", unit: "mg" },
    Fading { what: "A dye that marks queens", time: "days", place: " in sunlight", unit: "mg" },
    Fading { what: "A medicine against mites", time: "hours", place: " in the hive", unit: "mg" },
    Fading { what: "A tracer in the nectar", time: "hours", place: "", unit: "g" },
];

impl Fading {
    fn told(&self, half_life: i64) -> String {
        let Self { what, time, place, .. } = self;
        format!("{what} has a half-life of {half_life} {time}{place}.")
    }
}

struct Fade {
    text: String,
    time: &'static str,
    unit: &'static str,
    half_life: i64,
    start: i64,
    times: i64,
    left: i64,
}

impl Fade {
    fn drawn(draw: &mut Draw) -> Self {
        let fading = draw.one_of(FADING);
        let Fading { time, unit, .. } = *fading;
        let half_life = draw.between(2, 15);
        let (times, left) = (draw.between(2, 5), draw.between(1, 12));
        let start = left << times;
        Self { text: fading.told(half_life), time, unit, half_life, start, times, left }
    }

    fn total(&self) -> i64 {
        self.times * self.half_life
    }

    /// What it knows; `left` of `start` after `times` halvings.
    fn world(&self) -> World {
        World::by(formulas::HALVED)
            .between("start", "start", self.start, self.unit)
            .between("half-life", "", self.half_life, self.time)
            .between("number of half-lives", "n", self.times, "")
            .between("time", "t", self.total(), self.time)
            .between("amount left", "left", self.left, self.unit)
    }

    /// The halvings in a table, from line `first` on, one more column with each line.
    fn table(&self, first: i64) -> Vec<(usize, Figure)> {
        let until = |last: i64| {
            let times = (0..=last).map(|n| n * self.half_life).collect();
            let amounts = (0..=last).map(|n| self.start >> n).collect();
            pictured::table(&[(self.time, times), (self.unit, amounts)])
        };
        (1 - first..=self.times)
            .map(|n| (usize::try_from(n - 1 + first).unwrap_or(0), until(n)))
            .collect()
    }

    /// The share that is left, as dots of a square of 64: all of them, then what is filled at the end.
    fn dots(&self, first: usize, last: usize) -> [(usize, Figure); 2] {
        [(first, pictured::dots(8, 8, 64)), (last, pictured::dots(8, 8, 64 >> self.times))]
    }

    /// The halvings, one below the other.
    fn halved(&self) -> Lines {
        let mut lines = Lines::default();
        for n in 0..self.times {
            let before = self.start >> n;
            lines = lines.work(
                &format!("{before} ÷ 2 = {}", before / 2),
                format!("After {} {}", (n + 1) * self.half_life, self.time),
            );
        }
        lines
    }
}

fn amount(draw: &mut Draw) -> Posed {
    let fade = Fade::drawn(draw);
    let Fade { start, times, left, half_life, time, unit, .. } = fade;
    let total = fade.total();
    let typed = format!("{start} × (1/2)^{times}");
    let mut steps = Lines::start(&typed);
    for n in 1..=times {
        let (over, now) = (times - n, start >> n);
        let rest = match over {
            0 => now.to_string(),
            1 => format!("{now} × (1/2)"),
            _ => format!("{now} × (1/2)^{over}"),
        };
        steps = steps.then(&rest, format!("Halve: after {} {time}", n * half_life));
    }
    Posed::value(
        format!(
            "{} There are {start} {unit} at first. How much is left after {total} {time}?",
            fade.text
        ),
        line(&typed),
        line(&left.to_string()),
        Form::Any,
    )
    .knows(fade.world())
    .slip(fraction(start, times), slip::MULTIPLIED_BY_NUMBER)
    .slip((left * 2).to_string(), slip::ONE_HALVING_OFF)
    .slip(fraction(left, 2), slip::ONE_HALVING_OFF)
    .slip("0", slip::START_HALVED_EACH_TIME)
    .way(method::HALVE_STEP_BY_STEP, steps)
    .grows(method::HALVE_STEP_BY_STEP, fade.table(1))
    .way(
        method::POWER,
        Lines::start(&typed)
            .work(&format!("{total} ÷ {half_life} = {times}"), "How many half-lives these are")
            .then(
                &format!("{start} ÷ {}", 1 << times),
                format!("Two to the power {times} is {}", 1 << times),
            )
            .then(&left.to_string(), "Divide"),
    )
    .grows(method::POWER, fade.dots(0, 2))
    .answered(format!("{left} {unit} {} left.", if left == 1 { "is" } else { "are" }), unit)
}

fn find_the_slip(draw: &mut Draw) -> Posed {
    let (times, left) = (draw.between(3, 5), draw.between(1, 12));
    let start = left << times;
    let typed = format!("{start} × (1/2)^{times}");
    let wrong = format!("{start} × (1/{})", 2 * times);
    let posed =
        Posed::value(String::new(), line(&typed), line(&left.to_string()), Form::LowestTerms)
            .slip(fraction(start, 2 * times), slip::MULTIPLIED_BY_NUMBER)
            .slip((left * 2).to_string(), slip::ONE_HALVING_OFF)
            .slip(fraction(left, 2), slip::ONE_HALVING_OFF)
            .way(
                method::POWER,
                Lines::start(&typed)
                    .then(&format!("{start} × (1/{})", 1 << times), "The power counts factors")
                    .then(&left.to_string(), "Multiply"),
            );
    with_slip(posed, draw, &[&typed, &wrong], 1, slip::MULTIPLIED_BY_NUMBER)
}

fn how_many(draw: &mut Draw) -> Posed {
    let fade = Fade::drawn(draw);
    let Fade { start, times, left, unit, .. } = fade;
    let equation = format!("{start} × (1/2)^n = {left}");
    Posed::equation(
        format!(
            "{} How many half-lives does it take from {start} {unit} to {left} {unit}?",
            fade.text
        ),
        line(&equation),
        "n",
        from_int(times),
    )
    .knows(fade.world())
    .slip(fraction(start, 2 * left), slip::MULTIPLIED_BY_NUMBER)
    .slip((times + 1).to_string(), slip::ONE_HALVING_OFF)
    .slip((times - 1).to_string(), slip::ONE_HALVING_OFF)
    .slip(fade.half_life.to_string(), slip::TIME_FOR_COUNT)
    .way(
        method::HALVE_STEP_BY_STEP,
        fade.halved()
            .begin(&equation, "As an equation")
            .then(&format!("n = {times}"), "Count the halvings"),
    )
    .grows(method::HALVE_STEP_BY_STEP, fade.table(0))
    .way(
        method::POWER,
        Lines::start(&equation)
            .then(
                &format!("(1/2)^n = {}", fraction(left, start)),
                format!("Divide both sides by {start}"),
            )
            .then(
                &format!("(1/2)^n = (1/2)^{times}"),
                "Write the right side as a power of one half",
            )
            .then(&format!("n = {times}"), "The same base: the exponents are equal"),
    )
    .grows(method::POWER, fade.dots(0, 2))
}

fn how_long(draw: &mut Draw) -> Posed {
    let fade = Fade::drawn(draw);
    let Fade { start, times, left, unit, time, half_life, .. } = fade;
    let total = fade.total();
    let equation = format!("{start} × (1/2)^(t/{half_life}) = {left}");
    Posed::equation(
        format!("{} How many {time} does it take from {start} {unit} to {left} {unit}?", fade.text),
        line(&equation),
        "t",
        from_int(total),
    )
    .knows(fade.world())
    .slip(times.to_string(), slip::TIME_FOR_COUNT)
    .slip((total + half_life).to_string(), slip::ONE_HALVING_OFF)
    .slip((total - half_life).to_string(), slip::ONE_HALVING_OFF)
    .way(
        method::HALVE_STEP_BY_STEP,
        fade.halved()
            .begin(&equation, "As an equation")
            .then(&format!("t/{half_life} = {times}"), format!("It was halved {times} times"))
            .then(&format!("t = {total}"), format!("{times} half-lives of {half_life} {time}")),
    )
    .grows(method::HALVE_STEP_BY_STEP, fade.table(0))
    .answered(format!("It takes {total} {time}."), time)
}

fn the_half_life(draw: &mut Draw) -> Posed {
    let fade = Fade::drawn(draw);
    let Fade { start, times, left, unit, time, half_life, .. } = fade;
    let total = fade.total();
    let equation = format!("{times}h = {total}");
    Posed::equation(
        format!("Of {start} {unit} of a scent, {left} {unit} are left after {total} {time}. What is its half-life in {time}?"),
        line(&equation),
        "h",
        from_int(half_life),
    )
    .knows(fade.world())
    .slip(fraction(total, 2), slip::START_HALVED_EACH_TIME)
    .slip(fraction(total, times + 1), slip::ONE_HALVING_OFF)
    .slip((total * times).to_string(), slip::MULTIPLIED_BY_NUMBER)
    .way(
        method::HALVE_STEP_BY_STEP,
        (0..times)
            .fold(Lines::default(), |lines, n| {
                let before = start >> n;
                lines.work(&format!("{before} ÷ 2 = {}", before / 2), format!("Half-life number {}", n + 1))
            })
            .begin(&equation, format!("{times} half-lives take {total} {time}"))
            .then(&format!("h = {half_life}"), format!("Divide both sides by {times}")),
    )
    .answered(format!("Its half-life is {half_life} {time}."), time)
}

/// A time that is no whole number of half-lives.
fn between_the_steps(draw: &mut Draw) -> Posed {
    let fading = draw.one_of(FADING);
    let Fading { time, unit, .. } = *fading;
    let half_life = draw.between(3, 12);
    let (start, total) = loop {
        let total = draw.between(2, 40);
        if total % half_life != 0 {
            break (draw.between(2, 20) * 10, total);
        }
    };
    let typed = format!("{start} × (1/2)^({total}/{half_life})");
    let answer = nearest(&typed, 1);
    rounded_value(
        format!("{} There are {start} {unit} at first. How much is left after {total} {time}, to 1 decimal place?", fading.told(half_life)),
        &typed,
        1,
    )
    .slip(format!("≈ {}", nearest(&format!("{start} × {half_life}/(2 × {total})"), 1)), slip::MULTIPLIED_BY_NUMBER)
    .slip(format!("≈ {}", nearest(&format!("{start} × (1/2)^({half_life}/{total})"), 1)), slip::TIME_FOR_COUNT)
    .near([
        format!("≈ {}", nearest(&format!("{start} - {typed}"), 1)),
        format!("≈ {}", nearest(&format!("{typed} × 2"), 1)),
        format!("≈ {}", nearest(&format!("{typed} + 1"), 1)),
    ])
    .way(
        method::POWER,
        Lines::start(&typed)
            .say(
                format!("{total} {time} are {} half-lives.", tex(&format!("{total}/{half_life}"))),
                "How many half-lives these are",
            )
            .round(&format!("≈ {answer}"), "Work it out, and round to 1 decimal place"),
    )
    .answered(format!("About {answer} {unit} are left."), unit)
}

/// When it has fallen to an amount that no whole number of half-lives leads to.
fn when(draw: &mut Draw) -> Posed {
    let fading = draw.one_of(FADING);
    let Fading { time, unit, .. } = *fading;
    let half_life = draw.between(3, 12);
    let (start, left) = loop {
        let (start, left) = (draw.between(4, 20) * 10, draw.between(1, 9) * 5);
        let ratio = start / left;
        if left * 2 < start && !(ratio * left == start && ratio.count_ones() == 1) {
            break (start, left);
        }
    };
    let equation = format!("{start} × (1/2)^(t/{half_life}) = {left}");
    let factor = fraction(left, start);
    let exact = format!("{half_life} × ln({factor})/ln(1/2)");
    let answer = nearest(&exact, 1);
    let told = |typed: &str| format!("t ≈ {}", nearest(typed, 1));
    rounded_solution(
        format!("{} When are {left} {unit} left of {start} {unit}? Give the time in {time} to 1 decimal place.", fading.told(half_life)),
        &equation,
        "t",
        &exact,
        1,
    )
    .slip(told(&format!("ln({factor})/ln(1/2)")), slip::TIME_FOR_COUNT)
    .slip(told(&format!("{half_life} × {start}/(2 × {left})")), slip::MULTIPLIED_BY_NUMBER)
    .near([told(&format!("{exact} + {half_life}")), told(&format!("{exact} + 1"))])
    .way(
        method::POWER,
        Lines::start(&equation)
            .then(&format!("(1/2)^(t/{half_life}) = {factor}"), format!("Divide both sides by {start}"))
            .then(
                &format!("t/{half_life} × ln(1/2) = ln({factor})"),
                "Take logarithms: the exponent comes down",
            )
            .then(&format!("t = {exact}"), "Divide and multiply")
            .round(&format!("t ≈ {answer}"), "Round to 1 decimal place"),
    )
    .answered(format!("After about {answer} {time}."), time)
}

/// The half-life is read off a curve.
#[expect(clippy::cast_precision_loss, reason = "numbers of a drawing are small")]
fn on_a_curve(draw: &mut Draw) -> Posed {
    let Fading { what, time, unit, .. } = *draw.one_of(FADING);
    let (half_life, start) = (draw.between(2, 9), 20 * draw.between(2, 6));
    let until = 4 * half_life;
    let at = |n: i64| {
        let t = until as f64 * n as f64 / 48.0;
        [t, start as f64 * 0.5_f64.powf(t / half_life as f64)]
    };
    let drawn = |points: Vec<Place>| Figure::Graph {
        letter: "t".into(),
        x: [-0.5, until as f64 + 0.5],
        y: [-(start as f64) / 12.0, start as f64 * 1.1],
        curves: vec![Curve { label: unit.into(), pieces: vec![(0..=48).map(at).collect()] }],
        points,
    };
    let point = |x: i64, y: i64| Place { at: [x as f64, y as f64], label: format!("({x}, {y})") };
    let equation = format!("{start} × (1/2)^(t/{half_life}) = {}", start / 2);
    Posed::equation(
        format!(
            "{what} fades. The curve shows how many {unit} are left after $t$ {time}, {start} {unit} at first. Read off its half-life in {time}."
        ),
        line(&equation),
        "t",
        from_int(half_life),
    )
    .slip((2 * half_life).to_string(), slip::ONE_HALVING_OFF)
    .near([until, half_life + 1, start].map(|time| time.to_string()))
    .figure(drawn(vec![point(0, start)]))
    .way(
        method::HALVE_STEP_BY_STEP,
        Lines::default()
            .work(&format!("{start} ÷ 2 = {}", start / 2), "Half of what was there at first")
            .begin(&equation, format!("Where is the curve {} high?", start / 2))
            .then(&format!("t = {half_life}"), "Read off below that point"),
    )
    .grows(
        method::HALVE_STEP_BY_STEP,
        [(2, drawn(vec![point(0, start), point(half_life, start / 2)]))],
    )
    .answered(format!("The half-life is {half_life} {time}."), time)
}

/// Which share is left?
fn share_left(draw: &mut Draw) -> Posed {
    let fade = Fade::drawn(draw);
    let (times, total, time) = (fade.times, fade.total(), fade.time);
    let typed = format!("(1/2)^({total}/{})", fade.half_life);
    let answer = fraction(1, 1 << times);
    Posed::value(
        format!("{} Which fraction of it is left after {total} {time}?", fade.text),
        line(&typed),
        line(&answer),
        Form::LowestTerms,
    )
    .slip(fraction(1, 2 * times), slip::MULTIPLIED_BY_NUMBER)
    .slip(fraction(1, 1 << (times - 1)), slip::ONE_HALVING_OFF)
    .slip(fraction((1 << times) - 1, 1 << times), slip::START_HALVED_EACH_TIME)
    .near([fraction(1, 1 << (times + 1))])
    .way(
        method::POWER,
        Lines::start(&typed)
            .then(&format!("(1/2)^{times}"), format!("{total} {time} are {times} half-lives"))
            .then(&answer, "Work the power out"),
    )
    .answered(format!("{answer} of it is left."), "")
}
