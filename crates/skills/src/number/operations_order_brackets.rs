//! The order of operations.
//!
//! Method: brackets, powers, products from the left, sums from the left. Source: the convention of A. De Morgan,
//! *Elements of Arithmetic*, 1846. What counts as nice: whole answers below 200.

use crate::kit::*;
use algebra::solve::arithmetic;
use algebra::{Line, Role};
use teaching::working::Draft;

/// The skill `operations.order-brackets`.
pub struct OrderBrackets;

slips! {
    LEFT_TO_RIGHT = "left-to-right": "Which sign binds more strongly: plus or times?",
        "Works from left to right, whatever the operation.";
    BRACKET_PASSED_OVER = "bracket-passed-over": "What stands in the bracket belongs together. Do it first.",
        "Leaves the brackets out of account.";
}

methods! {
    INSIDE_OUT = "inside-out": "Inside out",
    UNDERLINE = "underline": "One operation a line",
}

impl Skill for OrderBrackets {
    fn card(&self) -> Card {
        Card {
            id: "operations.order-brackets",
            strand: Strand::Number,
            grades: (5, 7),
            title: "Order of operations",
            objective: "I can work out an expression in the right order.",
            vocabulary: terms![
                "expression": "numbers and letters joined by operations",
                "brackets": "signs that say: do this first",
                "order of operations": "brackets, then powers, then times and divide, then plus and minus",
            ],
            methods: METHODS,
        }
    }

    fn line_picture(&self, _: &Posed, _: MethodId, line: &Line) -> Option<Figure> {
        pictured::operations(line)
    }

    fn slips(&self) -> &'static [&'static dyn Slip] {
        SLIPS
    }

    fn pose(&self, stage: Stage, index: usize, draw: &mut Draw) -> Posed {
        match (stage, index % 3) {
            (Stage::Grip, _) => bare(index, draw),
            (Stage::Tilt, 0) => find_the_slip(draw),
            (Stage::Tilt, _) => place_brackets(draw),
            (Stage::Climb, 0) => story(draw),
            (Stage::Climb, _) => nested(draw),
        }
    }
}

/// The lines of one level of brackets after the other.
fn worked(posed: Posed, typed: &str, value: i64) -> Posed {
    let start = line(typed);
    let Line::Expression(expr) = &start else { return posed };
    let mut lines =
        vec![Draft::Line { line: start.clone(), reason: "The problem".into(), role: Role::Starts }];
    for (next, rule) in arithmetic(expr) {
        lines.push(Draft::Line {
            line: Line::Expression(next),
            reason: rule.into(),
            role: Role::Follows,
        });
    }
    let last = line(&value.to_string());
    let is_there = lines
        .last()
        .is_some_and(|draft| matches!(draft, Draft::Line { line, .. } if *line == last));
    if !is_there {
        lines.push(Draft::Line { line: last, reason: "Work it out".into(), role: Role::Follows });
    }
    posed.way(method::INSIDE_OUT, Working(lines))
}

fn value_of(typed: &str) -> Option<i64> {
    let expr = algebra::read_expr(typed).ok()?;
    let text = match teaching::tasks::evaluate(&expr).ok()?.working.last_line()? {
        Line::Expression(value) => algebra::write::text(value),
        _ => return None,
    };
    text.parse().ok()
}

/// One operation a line, as given.
fn steps(lines: &[(&str, &str)]) -> Lines {
    let mut found = Lines::default();
    for (at, (typed, reason)) in lines.iter().enumerate() {
        found = if at == 0 { Lines::start(typed) } else { found.then(typed, *reason) };
    }
    found
}

fn bare(index: usize, draw: &mut Draw) -> Posed {
    let [a, b, c] = [draw.between(3, 12), draw.between(2, 9), draw.between(2, 9)];
    let (typed, wrong, slip, one) = match index % 4 {
        0 => (
            format!("{a} + {b} × {c}"),
            (a + b) * c,
            slip::LEFT_TO_RIGHT,
            format!("{a} + {}", b * c),
        ),
        1 => (
            format!("({a} + {b}) × {c}"),
            a + b * c,
            slip::BRACKET_PASSED_OVER,
            format!("{} × {c}", a + b),
        ),
        2 => {
            let big = b * c + a;
            (
                format!("{big} - {b} × {c}"),
                (big - b) * c,
                slip::LEFT_TO_RIGHT,
                format!("{big} - {}", b * c),
            )
        }
        _ => {
            let top = b * c;
            (format!("{a} + {top} ÷ {b}"), (a + top) / b, slip::LEFT_TO_RIGHT, format!("{a} + {c}"))
        }
    };
    let value = value_of(&typed).unwrap_or(0);
    let posed = Posed::value(
        format!("Work out {}.", tex_as_typed(&typed)),
        line(&typed),
        line(&value.to_string()),
        Form::Any,
    )
    .slip(wrong.to_string(), slip)
    .near([(value + b).to_string(), (value - 1).to_string(), (value + c).to_string()])
    .way(
        method::UNDERLINE,
        steps(&[
            (&typed, ""),
            (&one, "Do the underlined operation"),
            (&value.to_string(), "Then the other"),
        ]),
    );
    worked(posed, &typed, value)
}

fn find_the_slip(draw: &mut Draw) -> Posed {
    let [a, b, c] = [draw.between(3, 12), draw.between(2, 9), draw.between(2, 9)];
    let typed = format!("{a} + {b} × {c}");
    let (wrong, end) = (format!("{} × {c}", a + b), ((a + b) * c).to_string());
    let value = a + b * c;
    let posed = Posed::value(String::new(), line(&typed), line(&value.to_string()), Form::Any)
        .slip(end.clone(), slip::LEFT_TO_RIGHT)
        .near([(value + b).to_string(), (value - 1).to_string(), (value + 2).to_string()]);
    let posed = worked(posed, &typed, value);
    with_slip(posed, draw, &[&typed, &wrong, &end], 1, slip::LEFT_TO_RIGHT)
}

fn place_brackets(draw: &mut Draw) -> Posed {
    loop {
        let [a, b, c, d] =
            [draw.between(2, 9), draw.between(2, 9), draw.between(2, 6), draw.between(2, 6)];
        let options = [
            format!("({a} + {b}) × {c} - {d}"),
            format!("{a} + {b} × ({c} - {d})"),
            format!("({a} + {b}) × ({c} - {d})"),
            format!("{a} + ({b} × {c} - {d})"),
        ];
        let values: Vec<Option<i64>> = options.iter().map(|typed| value_of(typed)).collect();
        let different =
            (0..4).all(|i| values[i].is_some() && (0..i).all(|j| values[i] != values[j]));
        if !different {
            continue;
        }
        let at = usize::try_from(draw.between(0, 2)).unwrap_or(0);
        let (right, value) = (options[at].clone(), values[at].unwrap_or(0));
        let bare = format!("{a} + {b} × {c} - {d}");
        let claim = format!("{right} = {value}");
        let others: Vec<String> = (0..4).filter(|i| *i != at).map(|i| options[i].clone()).collect();
        return Posed::shown(
            format!("Put brackets into {} so that it makes {value}.", tex(&bare)),
            right.clone(),
            vec![line(&claim)],
        )
        .slip(others[0].clone(), slip::BRACKET_PASSED_OVER)
        .near(others[1..].to_vec())
        .way(
            method::INSIDE_OUT,
            Lines::default()
                .work(&claim, "Try a bracket, and work inside out")
                .end(format!("It is {right}.")),
        );
    }
}

fn nested(draw: &mut Draw) -> Posed {
    loop {
        let [a, b, c, d] =
            [draw.between(2, 5), draw.between(3, 12), draw.between(2, 6), draw.between(2, 5)];
        let typed = match draw.between(0, 2) {
            0 => format!("{a} × [{b} - ({c} - {d}) × 2]"),
            1 => format!("{b} - {a} × [{c} - (-{d})]"),
            _ => format!("{{{b} + [{a} × ({c} + {d}) - {b}]}} ÷ {a}"),
        };
        let Some(value) = value_of(&typed) else { continue };
        if value.abs() > 200 {
            continue;
        }
        let plain = typed.replace(['[', '{'], "(").replace([']', '}'], ")");
        let posed = Posed::value(
            format!("Work out {}.", tex_as_typed(&typed)),
            line(&plain),
            line(&value.to_string()),
            Form::Any,
        )
        .near([(value + 2 * a).to_string(), (value - 2 * d).to_string()])
        .near([(-value - 1).to_string(), (value + 1).to_string()]);
        return worked(posed, &plain, value);
    }
}

fn story(draw: &mut Draw) -> Posed {
    let name = scenario::name(draw);
    let [a, b, c] = [draw.between(2, 6), draw.between(3, 9), draw.between(4, 12)];
    let (prompt, typed, wrong, sentence, unit) = match draw.between(0, 2) {
        0 => (
            format!(
                "{name} fills {a} crates. Each crate holds {b} tall jars and {c} small jars. How many jars are that in all?"
            ),
            format!("{a} × ({b} + {c})"),
            a * b + c,
            format!("That is {} jars in all.", a * (b + c)),
            "jars",
        ),
        1 => (
            format!(
                "{name} has {} dollars and buys {a} packets of seeds for {b} dollars each. How many dollars are left?",
                a * b + c
            ),
            format!("{} - {a} × {b}", a * b + c),
            (a * b + c - a) * b,
            format!("{c} dollars are left."),
            "dollars",
        ),
        _ => (
            format!(
                "Three hives hold {b}, {c} and {} frames. {a} times as many frames are in the store. How many frames are in the store?",
                b + 2
            ),
            format!("{a} × ({b} + {c} + {})", b + 2),
            a * b + c + b + 2,
            format!("{} frames are in the store.", a * (2 * b + c + 2)),
            "frames",
        ),
    };
    let value = value_of(&typed).unwrap_or(0);
    let posed = Posed::value(prompt, line(&typed), line(&value.to_string()), Form::Any)
        .slip(wrong.to_string(), slip::BRACKET_PASSED_OVER)
        .near([(value + a).to_string(), (value - b).to_string(), (value + 1).to_string()]);
    worked(posed, &typed, value).answered(sentence, unit)
}
