//! Adding in binary.
//!
//! Source: G. W. Leibniz, "Explication de l'arithmétique binaire", 1703. What counts as nice: no carry, then one,
//! up to eight bits.

use crate::kit::*;

/// The skill `binary.add`.
pub struct BinaryAdd;

slips! {
    TWO_WRITTEN = "two-written": "Which digits are there in binary? What does one and one make?",
        "Writes 2 where one and one make 10.";
    BINARY_CARRY_LOST = "binary-carry-lost": "One and one is two: write 0. Where does the other 1 go?",
        "Writes 0 for one and one, and forgets to carry.";
    OVERFLOW_KEPT = "overflow-kept": "How many places are there to keep it in?",
        "Keeps a ninth bit where only eight fit.";
}

methods! {
    CARRY_TABLE = "carry-table": "Carry table, right to left",
    BY_DECIMAL = "by-decimal": "Check in base ten",
}

impl Skill for BinaryAdd {
    fn card(&self) -> Card {
        Card {
            id: "binary.add",
            strand: Strand::Number,
            grades: (6, 11),
            title: "Adding in binary",
            objective: "I can add binary numerals with carries and say when they overflow.",
            vocabulary: terms![
                "bit": "a binary digit, 0 or 1",
                "carry": "what goes into the next place",
                "overflow": "a result that needs more bits than there are",
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
            (Stage::Climb, 0) => overflow(draw),
            (Stage::Climb, _) => story(draw),
        }
    }
}

fn binary(n: i64) -> String {
    format!("{n:b}_2")
}

/// The carries of an addition, from the lowest place.
fn carries(a: i64, b: i64) -> usize {
    let (mut carry, mut count) = (0, 0);
    for place in 0..12 {
        let sum = (a >> place & 1) + (b >> place & 1) + carry;
        carry = sum >> 1;
        count += usize::try_from(carry).unwrap_or(0);
    }
    count
}

fn table(a: i64, b: i64) -> Lines {
    let mut lines = Lines::start(&format!("{} + {}", binary(a), binary(b)));
    let (mut carry, mut place) = (0, 0);
    while a >> place > 0 || b >> place > 0 {
        let (x, y) = (a >> place & 1, b >> place & 1);
        let sum = x + y + carry;
        let typed = if carry > 0 {
            format!("{x} + {y} + 1 = {}", binary(sum))
        } else {
            format!("{x} + {y} = {}", binary(sum))
        };
        let worth = 1 << place;
        let reason = if sum > 1 {
            format!("Place worth {worth}: write {}, carry 1", sum & 1)
        } else {
            format!("Place worth {worth}: write {sum}")
        };
        lines = lines.work(&typed, reason);
        carry = sum >> 1;
        place += 1;
    }
    lines
}

/// Both numbers in columns with their carry row, place by place.
fn columns(a: i64, b: i64) -> Vec<(usize, Figure)> {
    let bits = |n: i64| -> Vec<i64> {
        (0..).map(|place| n >> place).take_while(|rest| *rest > 0).map(|rest| rest & 1).collect()
    };
    let (x, y, result) = (bits(a), bits(b), bits(a + b));
    let places = x.len().max(y.len());
    let mut carries = vec![String::new(); places + 1];
    let mut carry = 0;
    for place in 0..places {
        let sum = x.get(place).unwrap_or(&0) + y.get(place).unwrap_or(&0) + carry;
        carry = sum >> 1;
        if carry > 0 {
            carries[place + 1] = "1".into();
        }
    }
    let column = pictured::Column { rows: [&x, &y], sign: "+", carries, result };
    (0..=places).map(|done| (done, column.after(done))).collect()
}

fn addition(prompt: String, a: i64, b: i64) -> Posed {
    let typed = format!("{} + {}", binary(a), binary(b));
    let sum = a + b;
    Posed::value(prompt, line(&typed), line(&binary(sum)), Form::Any)
        .slip(binary((a ^ b).max(1)), slip::BINARY_CARRY_LOST)
        .near([binary(sum + 1), binary(a | b), binary(sum + 2), binary((sum - 1).max(1))])
        .way(method::CARRY_TABLE, table(a, b).then(&binary(sum), "Read the bits"))
        .grows(method::CARRY_TABLE, columns(a, b))
        .way(
            method::BY_DECIMAL,
            Lines::start(&typed)
                .then(&format!("{a} + {b}"), "Write both in base ten")
                .then(&sum.to_string(), "Add")
                .then(&binary(sum), "Write it in binary again"),
        )
}

fn pair(
    low: i64,
    high: i64,
    wanted: std::ops::RangeInclusive<usize>,
    draw: &mut Draw,
) -> (i64, i64) {
    loop {
        let (a, b) = (draw.between(low, high), draw.between(low, high));
        if wanted.contains(&carries(a, b)) && a != b {
            return (a, b);
        }
    }
}

/// No carry, one carry, two or more.
fn bare(index: usize, draw: &mut Draw) -> Posed {
    let wanted = [0..=0, 1..=1, 2..=4][index % 3].clone();
    let (a, b) = pair(3, 15 + 4 * index as i64, wanted, draw);
    addition(format!("Work out {}.", tex(&format!("{} + {}", binary(a), binary(b)))), a, b)
}

fn find_the_slip(draw: &mut Draw) -> Posed {
    let (a, b) = loop {
        let (a, b) = pair(5, 30, 1..=4, draw);
        if a ^ b > 0 {
            break (a, b);
        }
    };
    let typed = format!("{} + {}", binary(a), binary(b));
    let wrong = binary(a ^ b);
    let posed = addition(String::new(), a, b);
    with_slip(posed, draw, &[&typed, &wrong], 1, slip::BINARY_CARRY_LOST)
}

fn missing(draw: &mut Draw) -> Posed {
    let (a, b) = pair(5, 40, 1..=5, draw);
    let equation = format!("{} + n = {}", binary(a), binary(a + b));
    Posed::solve(
        format!("Which binary numeral is missing? {}", tex(&equation)),
        line(&equation),
        "n",
        line(&format!("n = {}", binary(b))),
    )
    .slip(format!("n = {}", binary((2 * a + b).max(1))), slip::TWO_WRITTEN)
    .near([
        format!("n = {}", binary(b + 1)),
        format!("n = {}", binary(b + 2)),
        format!("n = {}", binary((b - 1).max(1))),
    ])
    .way(
        method::BY_DECIMAL,
        Lines::start(&equation)
            .then(&format!("{a} + n = {}", a + b), "Write both in base ten")
            .then(&format!("n = {b}"), format!("Subtract {a} from both sides"))
            .then(&format!("n = {}", binary(b)), "Write it in binary again"),
    )
}

/// What is left of a sum in eight bits, and what is lost.
fn overflow(draw: &mut Draw) -> Posed {
    let (a, b) = loop {
        let (a, b) = (draw.between(130, 250), draw.between(20, 250));
        if a + b > 256 && a + b < 511 {
            break (a, b);
        }
    };
    let left = a + b - 256;
    let sum = binary(a + b);
    let typed = format!("{} + {} - 256", binary(a), binary(b));
    Posed::value(
        format!(
            "A counter keeps eight bits and adds {}. The ninth bit is lost. What does it show?",
            tex(&format!("{} + {}", binary(a), binary(b)))
        ),
        line(&typed),
        line(&binary(left)),
        Form::Any,
    )
    .slip(sum.clone(), slip::OVERFLOW_KEPT)
    .slip(binary((a ^ b).max(1)), slip::BINARY_CARRY_LOST)
    .near([binary(left + 1), binary(left + 2), binary(255)])
    .way(
        method::CARRY_TABLE,
        Lines::start(&typed)
            .then(&format!("{sum} - {}", binary(256)), "Add with carries: the result has nine bits")
            .then(&binary(left), "The ninth bit, worth 256, is lost"),
    )
}

fn story(draw: &mut Draw) -> Posed {
    let name = scenario::name(draw);
    let (a, b) = pair(12, 120, 2..=7, draw);
    let (x, y) = (tex(&binary(a)), tex(&binary(b)));
    let (prompt, unit) = match draw.between(0, 2) {
        0 => (
            format!(
                "Two gates of the hive count bees in binary: {x} and {y}. How many bees is that together, in binary?"
            ),
            "bees",
        ),
        1 => (
            format!(
                "{name} codes the jars on two shelves in binary: {x} and {y}. How many jars are that, in binary?"
            ),
            "jars",
        ),
        _ => (
            format!(
                "The scale stores two weights in grams: {x} and {y}. What do they weigh together, in binary?"
            ),
            "grams",
        ),
    };
    addition(prompt, a, b).answered(format!("Together that is {:b}.", a + b), unit)
}
