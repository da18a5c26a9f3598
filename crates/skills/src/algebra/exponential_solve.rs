//! Equations with the unknown in an exponent.
//!
//! Methods: compare exponents of one base; logarithms. Source: Napier, *Descriptio*. What counts as nice: powers that are
//! known by heart on Grip and Tilt.

use crate::kit::*;

/// The skill `exponential.solve`.
pub struct ExponentialSolve;

slips! {
    DIVIDED_BY_BASE = "divided-by-base": "How often is the base a factor?",
        "Divides by the base instead of comparing exponents.";
    BASES_COMPARED = "bases-compared": "Write both sides as powers of the same base first.",
        "Compares exponents of different bases.";
    EXPONENTS_ADDED = "exponents-added": "A power of a power: how many factors are there in all?",
        "Adds the exponents of a power of a power.";
    LOG_OF_A_SUM = "log-of-a-sum": "Bring the power to stand alone before you take logarithms.",
        "Takes the logarithm of a sum term by term.";
    LOG_UPSIDE_DOWN = "log-upside-down": "Which logarithm is divided by which?",
        "Divides the logarithms the wrong way round.";
}

methods! {
    COMPARE_EXPONENTS = "compare-exponents": "Compare exponents",
    LOGARITHMS = "logarithms": "Logarithms",
}

impl Skill for ExponentialSolve {
    fn card(&self) -> Card {
        Card {
            id: "exponential.solve",
            strand: Strand::Algebra,
            grades: (10, 12),
            title: "Exponential equations",
            objective: "I can find an unknown exponent.",
            vocabulary: terms![
                "exponential equation": "an equation with the unknown in an exponent",
                "logarithm": "the exponent that makes a power of the base be the number",
                "growth factor": "what an amount is multiplied by in each step",
            ],
            methods: METHODS,
        }
    }

    fn slips(&self) -> &'static [&'static dyn Slip] {
        SLIPS
    }

    fn pose(&self, stage: Stage, index: usize, draw: &mut Draw) -> Posed {
        match (stage, index % 3) {
            (Stage::Grip, _) => same_base(index, draw),
            (Stage::Tilt, _) => change_base(index, draw),
            (Stage::Climb, 0) => bare_logarithm(draw),
            (Stage::Climb, _) => growth(draw),
        }
    }
}

/// Bases with powers that are known by heart: base, exponent.
const POWERS: &[(i64, u32)] = &[
    (2, 3),
    (2, 4),
    (2, 5),
    (2, 6),
    (2, 7),
    (2, 8),
    (2, 10),
    (3, 2),
    (3, 3),
    (3, 4),
    (3, 5),
    (4, 2),
    (4, 3),
    (4, 4),
    (5, 2),
    (5, 3),
    (5, 4),
    (6, 2),
    (6, 3),
    (7, 2),
    (7, 3),
    (8, 2),
    (9, 2),
    (10, 2),
    (10, 3),
    (10, 4),
    (10, 5),
];

fn ask(typed: &str) -> String {
    format!("Solve {}.", tex(typed))
}

/// The power alone; then with a factor or in an exponent with a number.
fn same_base(index: usize, draw: &mut Draw) -> Posed {
    let (b, n) = *draw.one_of(POWERS);
    let (value, n) = (b.pow(n), i64::from(n));
    let shift = draw.nonzero(-4, 5);
    let (typed, exponent, x) = match index % 3 {
        0 => (format!("{b}^x = {value}"), "x".to_owned(), n),
        1 => {
            let inside = sum(&[(1, "x"), (shift, "")]);
            (format!("{b}^({inside}) = {value}"), inside, n - shift)
        }
        _ => {
            let k = draw.between(2, 5);
            (format!("{k} × {b}^x = {}", k * value), "x".to_owned(), n)
        }
    };
    let mut lines = Lines::start(&typed);
    if index % 3 == 2 {
        lines = lines.then(&format!("{b}^x = {value}"), "Divide both sides by the factor");
    }
    lines =
        lines.then(&format!("{b}^({exponent}) = {b}^{n}"), format!("{value} is a power of {b}"));
    if index % 3 == 1 {
        lines = lines.then(&format!("{exponent} = {n}"), "The same base: the exponents are equal");
        lines = lines.then(&format!("x = {x}"), "Solve for $x$");
    } else {
        lines = lines.then(&format!("x = {x}"), "The same base: the exponents are equal");
    }
    Posed::equation(ask(&typed), line(&typed), "x", from_int(x))
        .slip(fraction(value, b), slip::DIVIDED_BY_BASE)
        .near([(x + 1).to_string(), (x - 1).to_string(), (x + 2).to_string()])
        .way(method::COMPARE_EXPONENTS, lines)
}

/// Both sides are powers of a smaller base.
fn change_base(index: usize, draw: &mut Draw) -> Posed {
    let b: i64 = *draw.one_of(&[2, 3, 5]);
    let (m, n) = loop {
        let most = if b == 2 { 6 } else { 3 };
        let (m, n) = (draw.between(2, most), draw.between(1, most));
        if m != n {
            break (m, n);
        }
    };
    let power = |n: i64| b.pow(u32::try_from(n).unwrap_or(1)).to_string();
    let (left, right) = (power(m), power(n));
    // On every third rung the right side is below 1.
    let (right, n) = if index.is_multiple_of(3) { (format!("1/{right}"), -n) } else { (right, n) };
    let typed = format!("{left}^x = {right}");
    let answer = fraction(n, m);
    let posed = Posed::equation(ask(&typed), line(&typed), "x", Rational::new(n.into(), m.into()))
        .slip(fraction(m, n), slip::BASES_COMPARED)
        .slip((n - m).to_string(), slip::DIVIDED_BY_BASE)
        .near([(n * m).to_string(), fraction(-n, m)])
        .way(
            method::COMPARE_EXPONENTS,
            Lines::start(&typed)
                .then(&format!("({b}^{m})^x = {b}^({n})"), format!("Both sides as powers of {b}"))
                .then(
                    &format!("{b}^({m}x) = {b}^({n})"),
                    "A power of a power: multiply the exponents",
                )
                .then(&format!("{m}x = {n}"), "The same base: the exponents are equal")
                .then(&format!("x = {answer}"), format!("Divide both sides by {m}")),
        );
    // With some numbers the slip leads to the right exponent all the same.
    if index % 3 != 2 || (n - m) * m == n {
        return posed;
    }
    let both = format!("({b}^{m})^x = {b}^({n})");
    let wrong = format!("{m} + x = {n}");
    let end = format!("x = {}", n - m);
    with_slip(posed, draw, &[&typed, &both, &wrong, &end], 2, slip::EXPONENTS_ADDED)
}

fn bare_logarithm(draw: &mut Draw) -> Posed {
    let (b, value, add) = loop {
        let (b, value) = (draw.between(2, 9), draw.between(5, 99));
        let is_power = (1..8).any(|n| b.pow(n) == value);
        if !is_power && value > b {
            break (b, value, draw.between(0, 9));
        }
    };
    let typed = if add == 0 {
        format!("{b}^x = {value}")
    } else {
        format!("{b}^x + {add} = {}", value + add)
    };
    let exact = format!("ln({value})/ln({b})");
    let told = |typed: &str| format!("x ≈ {}", nearest(typed, 2));
    let mut lines = Lines::start(&typed);
    if add > 0 {
        lines = lines.then(&format!("{b}^x = {value}"), format!("Subtract {add} from both sides"));
    }
    let of_sum = if add == 0 {
        told(&format!("ln({value}) - ln({b})"))
    } else {
        told(&format!("(ln({}) - ln({add}))/ln({b})", value + add))
    };
    rounded_solution(
        format!("{} Give $x$ to 2 decimal places.", ask(&typed)),
        &typed,
        "x",
        &exact,
        2,
    )
    .slip(told(&format!("ln({b})/ln({value})")), slip::LOG_UPSIDE_DOWN)
    .slip(told(&format!("{value}/{b}")), slip::DIVIDED_BY_BASE)
    .slip(of_sum, slip::LOG_OF_A_SUM)
    .near([told(&format!("{exact} + 1"))])
    .way(
        method::LOGARITHMS,
        lines
            .then(&format!("x ln({b}) = ln({value})"), "Take logarithms: the exponent comes down")
            .then(
                &format!("x = {exact}"),
                format!("Divide both sides by {}", tex(&format!("ln({b})"))),
            )
            .round(&format!("x ≈ {}", nearest(&exact, 2)), "Round to 2 decimal places"),
    )
}

/// Growth by a percent in equal times: when is an amount reached?
fn growth(draw: &mut Draw) -> Posed {
    let name = scenario::name(draw);
    let (percent, start) = (draw.between(3, 25), draw.between(2, 9) * 100);
    let goal = start + draw.between(2, 8) * start / 4;
    let factor = decimal(100 + percent, 2);
    let equation = format!("{start} × {factor}^t = {goal}");
    let ratio = fraction(goal, start);
    let exact = format!("ln({ratio})/ln({factor})");
    let context = draw.between(0, 2);
    let (text, time) = match context {
        0 => (format!("A colony of {start} bees grows by {percent}% each week."), "weeks"),
        1 => (
            format!("A meadow has {start} clover plants, and {percent}% more each month."),
            "months",
        ),
        _ => (format!("{name} saves {start} dollars at {percent}% interest a year."), "years"),
    };
    let goal_told = match context {
        0 => format!("{goal} bees"),
        1 => format!("{goal} plants"),
        _ => format!("{goal} dollars"),
    };
    let told = |typed: &str| format!("t ≈ {}", nearest(typed, 1));
    let answer = nearest(&exact, 1);
    rounded_solution(
        format!("{text} After how many {time} are there {goal_told}? Give the answer to 1 decimal place."),
        &equation,
        "t",
        &exact,
        1,
    )
    .slip(told(&format!("({ratio} - 1)/{}", decimal(percent, 2))), slip::DIVIDED_BY_BASE)
    .slip(told(&format!("10 × ln({factor})/ln({ratio})")), slip::LOG_UPSIDE_DOWN)
    .near([told(&format!("{exact} + 1")), told(&format!("{exact} × 2"))])
    .way(
        method::LOGARITHMS,
        Lines::start(&equation)
            .then(&format!("{factor}^t = {ratio}"), format!("Divide both sides by {start}"))
            .then(&format!("t ln({factor}) = ln({ratio})"), "Take logarithms: the exponent comes down")
            .then(&format!("t = {exact}"), format!("Divide both sides by {}", tex(&format!("ln({factor})"))))
            .round(&format!("t ≈ {answer}"), "Round to 1 decimal place"),
    )
    .answered(format!("After about {answer} {time}."), time)
}
