//! Rearranging formulas.
//!
//! Method: undo what is done to the letter, last thing first. What counts as nice: formulas of the trade and small whole
//! numbers.

use crate::kit::*;
use algebra::Assumptions;
use teaching::problem::Key;
use teaching::working::Draft;

/// The skill `equations.rearrange`.
pub struct Rearrange;

slips! {
    INVERSE_NOT_TAKEN = "inverse-not-taken": "What is done to the letter? Do the opposite to both sides.",
        "Does the same operation again instead of its inverse.";
    ONE_TERM_ONLY = "one-term-only": "The whole side is divided, not one term of it.",
        "Divides or multiplies one term only.";
    SUBJECT_ON_BOTH_SIDES = "subject-on-both-sides": "The letter still stands on the other side.",
        "Leaves the letter that is asked for on both sides.";
    ROOT_TOO_EARLY = "root-too-early": "Is the square alone yet?",
        "Takes the root before the square is isolated.";
}

methods! {
    UNDO = "undo": "Undo in reverse order",
}

impl Skill for Rearrange {
    fn card(&self) -> Card {
        Card {
            id: "equations.rearrange",
            strand: Strand::Algebra,
            grades: (8, 10),
            title: "Rearranging formulas",
            objective: "I can make any letter the subject of a formula.",
            vocabulary: terms![
                "subject": "the letter that stands alone on one side",
                "formula": "an equation between quantities",
                "inverse operation": "what undoes an operation",
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
            (Stage::Tilt, 0) => with_a_square(draw),
            (Stage::Tilt, _) => twice(index, draw),
            (Stage::Climb, _) => formula(index, draw),
        }
    }
}

/// A formula in which every letter is positive, to be solved for one of them.
fn solved_for(prompt: String, typed: &str, letter: &str, answer: &str) -> Posed {
    let posed = Posed::solve(prompt, line(typed), letter, line(&format!("{letter} = {answer}")))
        .form(Form::SolvedFor(letter.into()))
        .given("positive");
    let assumed = Assumptions::read(["positive"]).unwrap_or_default();
    let Ok(mut worked) = tasks::rearrange(&line(typed), letter, &assumed) else { return posed };
    // The last line is written as the key has it.
    if let (Some(Draft::Line { line, reason, .. }), Key::Line(key)) =
        (worked.working.0.last_mut(), &posed.key)
    {
        line.clone_from(key);
        if typed.contains('^') {
            *reason = "Take the square root: lengths are positive".into();
        }
    }
    posed.way(method::UNDO, worked.working)
}

fn make_subject(letter: &str, typed: &str) -> String {
    format!("Make ${letter}$ the subject of {}.", tex(typed))
}

/// One operation, then two.
fn bare(index: usize, draw: &mut Draw) -> Posed {
    let (y, x) = *draw.one_of(&[("y", "x"), ("p", "q"), ("w", "v"), ("s", "t")]);
    let (a, b) = (draw.between(2, 9), draw.between(2, 19));
    let (typed, answer, slips) = match index % 4 {
        0 => (
            format!("{y} = {x} + {b}"),
            format!("{y} - {b}"),
            [format!("{y} + {b}"), format!("{b} - {y}"), format!("{y}/{b}")],
        ),
        1 => (
            format!("{y} = {a}{x}"),
            format!("{y}/{a}"),
            [format!("{a}{y}"), format!("{a}/{y}"), format!("{y} - {a}")],
        ),
        2 => (
            format!("{y} = {x}/{a}"),
            format!("{a}{y}"),
            [format!("{y}/{a}"), format!("{y} + {a}"), format!("{a}/{y}")],
        ),
        _ => (
            format!("{y} = {a}{x} + {b}"),
            format!("({y} - {b})/{a}"),
            [format!("({y} + {b})/{a}"), format!("{y}/{a} - {b}"), format!("{a}({y} - {b})")],
        ),
    };
    let told = |n: usize| format!("{x} = {}", slips[n]);
    solved_for(make_subject(x, &typed), &typed, x, &answer)
        .slip(told(0), slip::INVERSE_NOT_TAKEN)
        .slip(told(1), if index % 4 == 3 { slip::ONE_TERM_ONLY } else { slip::INVERSE_NOT_TAKEN })
        .near([told(2), format!("{x} = {answer} + 1")])
}

fn with_a_square(draw: &mut Draw) -> Posed {
    let (y, x) = *draw.one_of(&[("A", "r"), ("E", "v"), ("y", "x")]);
    let (a, b) = (draw.between(2, 9), draw.between(1, 19));
    let typed = format!("{y} = {a}{x}^2 + {b}");
    let answer = format!("sqrt(({y} - {b})/{a})");
    let told = |value: String| format!("{x} = {value}");
    let posed = solved_for(
        format!("{} Take ${x}$ to be positive.", make_subject(x, &typed)),
        &typed,
        x,
        &answer,
    )
    .slip(told(format!("(sqrt({y}) - {b})/{a}")), slip::ROOT_TOO_EARLY)
    .slip(told(format!("({y} - {b})/{a}")), slip::INVERSE_NOT_TAKEN)
    .near([told(format!("sqrt({y} - {b})/{a}")), told(format!("sqrt(({y} + {b})/{a})"))]);
    Posed { workings: Vec::new(), ..posed }.given(&format!("{y} > {b}")).way(
        method::UNDO,
        Lines::start(&typed)
            .then(&format!("{y} - {b} = {a}{x}^2"), format!("Subtract {b} from both sides"))
            .then(&format!("({y} - {b})/{a} = {x}^2"), format!("Divide both sides by {a}"))
            .then(&told(answer), "Take the positive square root"),
    )
}

/// The letter stands twice: bring it together, then take it out.
fn twice(index: usize, draw: &mut Draw) -> Posed {
    let [a, b] = draw.different(2, 2, 9)[..] else { return twice(index, draw) };
    let told = |value: String| format!("x = {value}");
    let (typed, lines, wrong) = if index.is_multiple_of(2) {
        (
            format!("y = (x + {a})/(x - {b})"),
            vec![
                (
                    format!("y(x - {b}) = x + {a}"),
                    format!("Multiply both sides by {}", tex(&format!("x - {b}"))),
                ),
                (format!("xy - {b}y = x + {a}"), "Multiply out".to_owned()),
                (format!("xy - x = {b}y + {a}"), "Bring the terms with $x$ together".to_owned()),
                (format!("x(y - 1) = {b}y + {a}"), "Take $x$ out".to_owned()),
                (
                    format!("x = ({b}y + {a})/(y - 1)"),
                    format!("Divide both sides by {}", tex("y - 1")),
                ),
            ],
            [
                format!("{a} + y(x - {b})"),
                format!("({b}y - {a})/(y - 1)"),
                format!("({b}y + {a})/y"),
                format!("({b}y + {a})/(y + 1)"),
            ],
        )
    } else {
        (
            format!("{a}x + c = kx + {b}"),
            vec![
                (format!("{a}x - kx = {b} - c"), "Bring the terms with $x$ together".to_owned()),
                (format!("x({a} - k) = {b} - c"), "Take $x$ out".to_owned()),
                (
                    format!("x = ({b} - c)/({a} - k)"),
                    format!("Divide both sides by {}", tex(&format!("{a} - k"))),
                ),
            ],
            [
                format!("(kx + {b} - c)/{a}"),
                format!("({b} + c)/({a} + k)"),
                format!("{b} - c - {a} + k"),
                format!("({b} + c)/({a} - k)"),
            ],
        )
    };
    let answer = lines.last().map(|(line, _)| line.clone()).unwrap_or_default();
    let start = Lines::start(&typed);
    let working = lines.iter().fold(start, |lines, (typed, why)| lines.then(typed, why.as_str()));
    Posed::solve(make_subject("x", &typed), line(&typed), "x", line(&answer))
        .form(Form::SolvedFor("x".into()))
        .slip(told(wrong[0].clone()), slip::SUBJECT_ON_BOTH_SIDES)
        .slip(told(wrong[1].clone()), slip::INVERSE_NOT_TAKEN)
        .slip(told(wrong[2].clone()), slip::ONE_TERM_ONLY)
        .near([told(wrong[3].clone())])
        .way(method::UNDO, working)
}

/// A formula of the bee garden.
struct Told {
    says: &'static str,
    typed: &'static str,
    letter: &'static str,
    answer: &'static str,
    wrong: [&'static str; 3],
}

const FORMULAS: &[Told] = &[
    Told {
        says: "A honey jar is a cylinder: its volume $V$ comes from the area $A$ of its floor and its height $h$.",
        typed: "V = A h",
        letter: "h",
        answer: "V/A",
        wrong: ["V A", "A/V", "V - A"],
    },
    Told {
        says: "A hive of weight $W$ is an empty box of weight $b$ with $n$ frames of weight $f$ each.",
        typed: "W = b + n f",
        letter: "f",
        answer: "(W - b)/n",
        wrong: ["(W + b)/n", "W/n - b", "n(W - b)"],
    },
    Told {
        says: "At the stall, the price $P$ of an order is a fee $c$ and $d$ dollars for each of $n$ jars.",
        typed: "P = c + d n",
        letter: "n",
        answer: "(P - c)/d",
        wrong: ["(P + c)/d", "P/d - c", "d(P - c)"],
    },
    Told {
        says: "A bee that flies $d$ metres in $t$ seconds has the speed $v$.",
        typed: "v = d/t",
        letter: "t",
        answer: "d/v",
        wrong: ["v d", "v/d", "d - v"],
    },
    Told {
        says: "A fence around a bed of length $l$ and width $w$ is $F$ metres long.",
        typed: "F = 2(l + w)",
        letter: "w",
        answer: "F/2 - l",
        wrong: ["F/2 + l", "F - 2 - l", "(F - l)/2"],
    },
    Told {
        says: "The gable of a hive hut is a triangle of base $b$ and height $h$ with the area $A$.",
        typed: "A = b h/2",
        letter: "b",
        answer: "2A/h",
        wrong: ["A/(2h)", "2A h", "h/(2A)"],
    },
    Told {
        says: "The round lid of a jar has the radius $r$ and goes once around in $C$ centimetres.",
        typed: "C = 2π r",
        letter: "r",
        answer: "C/(2π)",
        wrong: ["2π C", "C π/2", "C - 2π"],
    },
    Told {
        says: "The mean $m$ of three hive weights $a$, $b$ and $c$ is known.",
        typed: "m = (a + b + c)/3",
        letter: "c",
        answer: "3m - a - b",
        wrong: ["m/3 - a - b", "3m + a + b", "3(m - a - b)"],
    },
    Told {
        says: "Honey of mass $m$ fills the volume $V$; its density is $d$.",
        typed: "d = m/V",
        letter: "m",
        answer: "d V",
        wrong: ["d/V", "V/d", "d + V"],
    },
    Told {
        says: "Savings of $s$ dollars grow by $g$ dollars in each of $w$ weeks to the total $T$.",
        typed: "T = s + g w",
        letter: "w",
        answer: "(T - s)/g",
        wrong: ["(T + s)/g", "T/g - s", "g(T - s)"],
    },
    Told {
        says: "The temperature of the honey room is $F$ on one scale and $C$ on the other.",
        typed: "F = 9/5 C + 32",
        letter: "C",
        answer: "5/9 (F - 32)",
        wrong: ["9/5 (F - 32)", "5/9 F - 32", "5/9 (F + 32)"],
    },
    Told {
        says: "A round flower bed of radius $r$ has the area $A$.",
        typed: "A = π r^2",
        letter: "r",
        answer: "sqrt(A/π)",
        wrong: ["sqrt(A)/π", "A/π", "sqrt(A π)"],
    },
];

fn formula(index: usize, draw: &mut Draw) -> Posed {
    let told =
        &FORMULAS[(index + usize::try_from(draw.between(0, 11)).unwrap_or(0)) % FORMULAS.len()];
    let prompt = format!(
        "{} The formula is {}. Make ${}$ the subject.",
        told.says,
        tex(told.typed),
        told.letter
    );
    let as_line = |n: usize| format!("{} = {}", told.letter, told.wrong[n]);
    solved_for(prompt, told.typed, told.letter, told.answer)
        .slip(as_line(0), slip::INVERSE_NOT_TAKEN)
        .slip(
            as_line(1),
            if told.typed.contains('^') { slip::ROOT_TOO_EARLY } else { slip::ONE_TERM_ONLY },
        )
        .near([as_line(2)])
}
