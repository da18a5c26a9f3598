//! Linear inequalities.
//!
//! Method: the same to both sides; the sign turns when both are multiplied or divided by a negative number. What
//! counts as nice: whole ends.

use crate::kit::*;

/// The skill `inequalities.linear`.
pub struct InequalitiesLinear;

slips! {
    SIGN_KEPT = "sign-kept": "You divided by a negative number. What happens to the order?",
        "Does not turn the sign when dividing by a negative number.";
    END_IN_OR_OUT = "end-in-or-out": "Does the end itself belong to it?",
        "Swaps signs with and without equality.";
}

methods! {
    BALANCE = "balance": "Same to both sides",
}

impl Skill for InequalitiesLinear {
    fn card(&self) -> Card {
        Card {
            id: "inequalities.linear",
            strand: Strand::Algebra,
            grades: (7, 10),
            title: "Linear inequalities",
            objective: "I can solve an inequality and show its solutions on a line.",
            vocabulary: terms![
                "inequality": "a statement that one side is less or more than the other",
                "solution set": "all values that make it true",
                "turn the sign": "write greater for less, and less for greater",
            ],
            methods: METHODS,
        }
    }

    fn slips(&self) -> &'static [&'static dyn Slip] {
        SLIPS
    }

    fn pose(&self, stage: Stage, index: usize, draw: &mut Draw) -> Posed {
        match (stage, index % 3) {
            (Stage::Grip, _) => bare(index, draw, false),
            (Stage::Tilt, _) => bare(index, draw, true),
            (Stage::Climb, 0) => double(draw),
            (Stage::Climb, _) => story(draw),
        }
    }
}

const SIGNS: [&str; 4] = ["<", "<=", ">", ">="];

fn turned(sign: &str) -> &'static str {
    match sign {
        "<" => ">",
        "<=" => ">=",
        ">" => "<",
        _ => "<=",
    }
}

fn with_end(sign: &str) -> &'static str {
    match sign {
        "<" => "<=",
        "<=" => "<",
        ">" => ">=",
        _ => ">",
    }
}

fn solve(prompt: String, typed: &str, sign: &str, end: i64) -> Posed {
    let posed = Posed::solve(prompt, line(typed), "x", line(&format!("x {sign} {end}")))
        .slip(format!("x {} {end}", turned(sign)), slip::SIGN_KEPT)
        .slip(format!("x {} {end}", with_end(sign)), slip::END_IN_OR_OUT)
        .near([format!("x {sign} {}", -end - 1), format!("x {sign} {}", end + 3)]);
    match board(typed, "x", None) {
        Some(working) => posed.way(method::BALANCE, working),
        None => posed,
    }
}

fn bare(index: usize, draw: &mut Draw, negative: bool) -> Posed {
    let (a, b, end) = (draw.between(2, 9), draw.between(1, 15), draw.nonzero(-8, 9));
    let sign = SIGNS[index % 4];
    let (typed, answer) = if negative {
        (format!("{b} - {a}x {sign} {}", b - a * end), turned(sign))
    } else {
        (format!("{a}x + {b} {sign} {}", a * end + b), sign)
    };
    solve(format!("Solve {}.", tex(&typed)), &typed, answer, end)
}

fn double(draw: &mut Draw) -> Posed {
    let (a, b, low) = (draw.between(2, 5), draw.between(1, 9), draw.between(-6, 3));
    let high = low + draw.between(3, 8);
    let typed = format!("{} < {a}x + {b} <= {}", a * low + b, a * high + b);
    let answer = format!("{low} < x <= {high}");
    let posed = Posed::solve(format!("Solve {}.", tex(&typed)), line(&typed), "x", line(&answer))
        .slip(format!("{low} <= x < {high}"), slip::END_IN_OR_OUT)
        .near([
            format!("{} < x <= {high}", low + 1),
            format!("{low} < x <= {}", high + b),
            format!("{} < x <= {}", low - 2, high - 1),
        ]);
    match board(&typed, "x", None) {
        Some(working) => posed.way(method::BALANCE, working),
        None => posed,
    }
}

fn story(draw: &mut Draw) -> Posed {
    let name = scenario::name(draw);
    let (a, b, most) = (draw.between(3, 9), draw.between(5, 30), draw.between(4, 12));
    let limit = a * most + b;
    let text = match draw.between(0, 2) {
        0 => format!(
            "{name} has {limit} dollars, pays {b} dollars for the stall and {a} dollars for each of {} crates.",
            tex("x")
        ),
        1 => format!(
            "A shelf carries {limit} kg. It holds {b} kg already and takes {} more boxes of {a} kg.",
            tex("x")
        ),
        _ => format!(
            "A trailer may carry {limit} kg. It weighs {b} kg empty and takes {} sacks of {a} kg.",
            tex("x")
        ),
    };
    let typed = format!("{a}x + {b} <= {limit}");
    solve(
        format!("{text} Which values of {} are possible? Write and solve an inequality.", tex("x")),
        &typed,
        "<=",
        most,
    )
}
