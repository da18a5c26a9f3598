//! Adding and subtracting in columns, to 1000.
//!
//! Source: Leonardo of Pisa, *Liber abaci*, chapters 3 and 4. What counts as nice: no regrouping on the first rungs,
//! then one, then two places that regroup.

use crate::kit::*;

/// The skill `add-sub.column`.
pub struct Column;

slips! {
    SMALLER_FROM_LARGER = "smaller-from-larger": "Take the lower digit from the upper one, in that order. Do you need to regroup?",
        "Takes the smaller digit from the larger in every column, whichever stands above.";
    CARRY_FORGOTTEN = "carry-forgotten": "A column came to more than nine. Where did the new ten go?",
        "Forgets to add what was carried.";
    BORROW_NOT_TAKEN = "borrow-not-taken": "You borrowed a ten. Is it gone from its own column?",
        "Regroups for the ones, but leaves the tens as they were.";
}

methods! {
    COLUMN = "column": "Column",
    BLOCKS = "blocks": "Hundreds, tens and ones",
    NUMBER_LINE = "number-line": "Jumps on a number line",
    COMPENSATION = "compensation": "Compensation",
}

impl Skill for Column {
    fn card(&self) -> Card {
        Card {
            id: "add-sub.column",
            strand: Strand::Number,
            grades: (1, 4),
            title: "Adding and subtracting in columns",
            objective: "I can add and subtract numbers to 1000, and regroup where I need to.",
            vocabulary: &[
                Term { word: "sum", means: "what an addition gives" },
                Term { word: "difference", means: "what a subtraction gives" },
                Term { word: "carry", means: "take a new ten into the next column" },
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
            (Stage::Tilt, _) => missing(index, draw),
            (Stage::Climb, _) => story(draw),
        }
    }
}

fn digits(n: i64) -> [i64; 3] {
    [n % 10, n / 10 % 10, n / 100]
}

/// Two numbers to add, with so many columns that carry.
fn addends(carries: usize, draw: &mut Draw) -> (i64, i64) {
    loop {
        let (a, b) = (draw.between(112, 689), draw.between(111, 309));
        let (x, y) = (digits(a), digits(b));
        let first = usize::from(x[0] + y[0] > 9);
        let second = usize::from(x[1] + y[1] + i64::from(first > 0) > 9);
        if first + second == carries && a + b < 1000 && y[0] > 0 && (carries != 1 || first == 1) {
            return (a, b);
        }
    }
}

const PLACES: [&str; 3] = ["Ones", "Tens", "Hundreds"];

fn added(a: i64, b: i64) -> Lines {
    let (x, y) = (digits(a), digits(b));
    let mut lines = Lines::start(&format!("{a} + {b}"));
    let mut carry = 0;
    for place in 0..3 {
        let sum = x[place] + y[place] + carry;
        let typed = if carry > 0 {
            format!("{} + {} + {carry} = {sum}", x[place], y[place])
        } else {
            format!("{} + {} = {sum}", x[place], y[place])
        };
        let reason = if sum > 9 {
            format!("{}: write {}, carry 1", PLACES[place], sum % 10)
        } else {
            format!("{}: write {sum}", PLACES[place])
        };
        lines = lines.work(&typed, reason);
        carry = sum / 10;
    }
    lines.then(&(a + b).to_string(), "Read the digits")
}

fn subtracted(a: i64, b: i64) -> Lines {
    let (x, y) = (digits(a), digits(b));
    let mut lines = Lines::start(&format!("{a} - {b}"));
    let mut borrowed = 0;
    for place in 0..3 {
        let above = x[place] - borrowed;
        let regroups = above < y[place];
        let above = if regroups { above + 10 } else { above };
        let left = above - y[place];
        let reason = if regroups {
            format!("{}: regroup one from the next column, write {left}", PLACES[place])
        } else {
            format!("{}: write {left}", PLACES[place])
        };
        lines = lines.work(&format!("{above} - {} = {left}", y[place]), reason);
        borrowed = i64::from(regroups);
    }
    lines.then(&(a - b).to_string(), "Read the digits")
}

/// The sum or the difference in columns, place by place: a carry stands above the next place, a digit that was
/// regrouped above its own.
fn columns(a: i64, b: i64, sign: &str) -> Vec<(usize, Figure)> {
    let (x, y) = (digits(a), digits(b));
    let mut carries = vec![String::new(); 4];
    let mut result = Vec::new();
    let mut carry = 0;
    for place in 0..3 {
        if sign == "+" {
            let sum = x[place] + y[place] + carry;
            result.push(sum % 10);
            carry = sum / 10;
            if carry > 0 {
                carries[place + 1] = carry.to_string();
            }
        } else {
            let above = x[place] - carry;
            let regroups = above < y[place];
            let above = if regroups { above + 10 } else { above };
            if above != x[place] {
                carries[place] = above.to_string();
            }
            result.push(above - y[place]);
            carry = i64::from(regroups);
        }
    }
    let column = pictured::Column { rows: [&x, &y], sign, carries, result };
    (0..4).map(|done| (done, column.after(done))).collect()
}

/// The other ways for `a + b` or `a - b`.
fn other_ways(posed: Posed, a: i64, b: i64, sign: char) -> Posed {
    let [o, t, h] = digits(b);
    let value = if sign == '+' { a + b } else { a - b };
    let parts = format!("{a} {sign} {} {sign} {} {sign} {o}", 100 * h, 10 * t);
    let step = |n: i64| if sign == '+' { a + n } else { a - n };
    let line_way = Lines::start(&format!("{a} {sign} {b}"))
        .then(&parts, format!("Split {b} into hundreds, tens and ones"))
        .then(&format!("{} {sign} {} {sign} {o}", step(100 * h), 10 * t), "Jump the hundreds")
        .then(&format!("{} {sign} {o}", step(100 * h + 10 * t)), "Jump the tens")
        .then(&value.to_string(), "Jump the ones");
    let up = (b + 9) / 10 * 10;
    let (more, back) = (up - b, if sign == '+' { '-' } else { '+' });
    let (last, mut at) = (line_way.count() - 1, a);
    let mut jumps: Vec<(String, i64, String)> = Vec::new();
    for part in [100 * h, 10 * t, o].into_iter().filter(|part| *part > 0) {
        at = if sign == '+' { at + part } else { at - part };
        jumps.push((format!("{sign}{part}"), at, at.to_string()));
    }
    let way: Vec<(&str, i64, &str)> =
        jumps.iter().map(|(jump, at, stop)| (jump.as_str(), *at, stop.as_str())).collect();
    let walked = pictured::jumps((a, &a.to_string()), &way, 1);
    let posed =
        posed.way(method::NUMBER_LINE, line_way).grows(method::NUMBER_LINE, [(last, walked)]);
    let blocks = |n: i64| {
        let [o, t, h] = digits(n);
        format!("({} + {} + {o})", 100 * h, 10 * t)
    };
    let by_parts = Lines::start(&format!("{a} {sign} {b}"))
        .then(&format!("{} {sign} {}", blocks(a), blocks(b)), "Lay both as hundreds, tens and ones")
        .then(&value.to_string(), "Put together what belongs together, and regroup");
    let laid = |n: i64| {
        let [o, t, h] = digits(n);
        [h, t, o]
    };
    let [x, y] = [a, b].map(laid);
    // Both heaps together before they are regrouped; what is taken away is not laid.
    let heaped =
        (sign == '+').then(|| (1, pictured::blocks([x[0] + y[0], x[1] + y[1], x[2] + y[2]])));
    let result = (value < 1000).then(|| (by_parts.count() - 1, pictured::blocks(laid(value))));
    let posed =
        posed.way(method::BLOCKS, by_parts).grows(method::BLOCKS, heaped.into_iter().chain(result));
    if more == 0 {
        return posed;
    }
    posed.way(
        method::COMPENSATION,
        Lines::start(&format!("{a} {sign} {b}"))
            .then(
                &format!("{a} {sign} {up} {back} {more}"),
                format!("{b} is {more} less than {up}"),
            )
            .then(&format!("{} {back} {more}", step(up)), "Work with the round number first")
            .then(&value.to_string(), "Then put it right"),
    )
}

/// What a student writes who forgets every carry.
fn without_carries(a: i64, b: i64) -> i64 {
    let (x, y) = (digits(a), digits(b));
    (0..3).map(|p| (x[p] + y[p]) % 10 * [1, 10, 100][p]).sum()
}

fn smaller_from_larger(a: i64, b: i64) -> i64 {
    let (x, y) = (digits(a), digits(b));
    (0..3).map(|p| (x[p] - y[p]).abs() * [1, 10, 100][p]).sum()
}

fn addition(prompt: String, a: i64, b: i64) -> Posed {
    let posed =
        Posed::value(prompt, line(&format!("{a} + {b}")), line(&(a + b).to_string()), Form::Any)
            .slip(without_carries(a, b).to_string(), slip::CARRY_FORGOTTEN)
            .near([(a + b + 10).to_string(), (a + b - 100).to_string(), (a + b + 1).to_string()])
            .way(method::COLUMN, added(a, b))
            .grows(method::COLUMN, columns(a, b, "+"));
    other_ways(posed, a, b, '+')
}

fn subtraction(prompt: String, a: i64, b: i64) -> Posed {
    let posed =
        Posed::value(prompt, line(&format!("{a} - {b}")), line(&(a - b).to_string()), Form::Any)
            .slip(smaller_from_larger(a, b).to_string(), slip::SMALLER_FROM_LARGER)
            .slip((a - b + 10).to_string(), slip::BORROW_NOT_TAKEN)
            .near([(a - b - 1).to_string(), (a - b + 100).to_string()])
            .way(method::COLUMN, subtracted(a, b))
            .grows(method::COLUMN, columns(a, b, "-"));
    other_ways(posed, a, b, '-')
}

fn bare(index: usize, draw: &mut Draw) -> Posed {
    let (a, b) = addends(index / 2 % 3, draw);
    if index.is_multiple_of(2) {
        addition(format!("Work out {}.", tex(&format!("{a} + {b}"))), a, b)
    } else {
        subtraction(format!("Work out {}.", tex(&format!("{} - {b}", a + b))), a + b, b)
    }
}

fn missing(index: usize, draw: &mut Draw) -> Posed {
    let (a, b) = addends(1 + index % 2, draw);
    let sum = a + b;
    let (equation, inverse) = if index % 2 == 1 {
        (format!("{a} + n = {sum}"), format!("n = {sum} - {a}"))
    } else {
        (format!("n + {a} = {sum}"), format!("n = {sum} - {a}"))
    };
    Posed::equation(
        format!("Find the missing number: {}.", tex(&equation)),
        line(&equation),
        "n",
        from_int(b),
    )
    .slip(smaller_from_larger(sum, a).to_string(), slip::SMALLER_FROM_LARGER)
    .near([(sum + a).to_string()])
    .way(
        method::COLUMN,
        Lines::start(&equation)
            .then(&inverse, format!("What is added to {a}? Take {a} away from {sum}"))
            .then(&format!("n = {b}"), "Work it out in columns"),
    )
}

fn find_the_slip(draw: &mut Draw) -> Posed {
    let (a, b) = addends(2, draw);
    let (posed, typed, wrong, slip) = if draw.coin() {
        let wrong = without_carries(a, b);
        (addition(String::new(), a, b), format!("{a} + {b}"), wrong, slip::CARRY_FORGOTTEN)
    } else {
        let (sum, wrong) = (a + b, smaller_from_larger(a + b, b));
        let posed = subtraction(String::new(), sum, b);
        (posed, format!("{sum} - {b}"), wrong, slip::SMALLER_FROM_LARGER)
    };
    with_slip(posed, draw, &[&typed, &wrong.to_string()], 1, slip)
}

/// Two steps in one story.
fn story(draw: &mut Draw) -> Posed {
    let name = scenario::name(draw);
    let (a, b) = addends(1, draw);
    let c = draw.between(105, a + b - 40);
    let left = a + b - c;
    let own = own::two_steps(draw, [a, b, c]);
    let own = own.map(|told| (told.prompt, told.sentence, told.unit));
    let bees = |draw: &mut Draw| match draw.between(0, 2) {
        0 => (
            format!(
                "The bee club has {a} jars in the store and fills {b} more. At the market it sells {c}. \
                 How many jars are left?"
            ),
            format!("{left} jars are left."),
            "jars".to_owned(),
        ),
        1 => (
            format!(
                "{name} counts {a} bees at the oak hive and {b} at the clover hive. Then {c} fly away. \
                 How many bees are still there?"
            ),
            format!("{left} bees are still there."),
            "bees".into(),
        ),
        _ => (
            format!(
                "For new frames {name} saves {a} cents in spring and {b} cents in summer, and spends {c} \
                 cents on nails. How many cents are left for frames?"
            ),
            format!("{left} cents are left."),
            "cents".into(),
        ),
    };
    let (prompt, sentence, unit) = own.unwrap_or_else(|| bees(draw));
    let sum = format!("{a} + {b} - {c}");
    Posed::value(prompt, line(&sum), line(&left.to_string()), Form::Any)
        .slip((without_carries(a, b) - c).abs().to_string(), slip::CARRY_FORGOTTEN)
        .slip(smaller_from_larger(a + b, c).to_string(), slip::SMALLER_FROM_LARGER)
        .near([(a + b + c).to_string(), (left + 10).to_string()])
        .way(
            method::COLUMN,
            Lines::start(&sum)
                .then(&format!("{} - {c}", a + b), "First add what comes together")
                .then(&left.to_string(), "Then take away what goes"),
        )
        .answered(sentence, &unit)
}
