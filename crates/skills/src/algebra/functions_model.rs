//! From a table to a model.
//!
//! Methods: differences for lines, ratios for proportional and exponential growth, a fit. What counts as nice: equal steps
//! in the table.

use crate::kit::*;
use teaching::figure::{Curve, Place};

/// The skill `functions.model`.
pub struct Model;

slips! {
    CURVE_CALLED_LINEAR = "curve-called-linear": "Are the differences all the same?",
        "Calls growth that is not steady linear.";
    START_FORGOTTEN = "start-forgotten": "What is the value at zero?",
        "Leaves the starting value out of the rule.";
    DIFFERENCE_FOR_RATIO = "difference-for-ratio": "Look at the quotient of each pair.",
        "Predicts with the last difference where the growth is not steady.";
    SQUARE_NOT_TAKEN = "square-not-taken": "Twice the radius: how many times the area?",
        "Takes the area to grow like the radius.";
}

methods! {
    DIFFERENCES = "differences": "Differences",
    RATIO = "ratio": "Ratios",
    FIT = "fit": "Plot and fit",
}

impl Skill for Model {
    fn card(&self) -> Card {
        Card {
            id: "functions.model",
            strand: Strand::Algebra,
            grades: (8, 12),
            title: "Models from data",
            objective: "I can tell from a table whether growth is linear, find a rule and predict with it.",
            vocabulary: terms![
                "linear": "growing by the same amount in equal steps",
                "model": "a rule that describes what was measured",
                "predict": "work out a value that was not measured",
                "proportional": "always in the same ratio",
            ],
            methods: METHODS,
        }
    }

    fn slips(&self) -> &'static [&'static dyn Slip] {
        SLIPS
    }

    fn pose(&self, stage: Stage, index: usize, draw: &mut Draw) -> Posed {
        match (stage, index % 3) {
            (Stage::Grip, _) => linear_or_not(index, draw),
            (Stage::Tilt, _) => which_rule(index, draw),
            (Stage::Climb, 0) => around_a_jar(draw),
            (Stage::Climb, 1) => over_a_jar(draw),
            (Stage::Climb, _) => weighed(draw),
        }
    }
}

/// `0 → 3, 1 → 5, 2 → 7`
fn table(xs: &[i64], ys: &[i64]) -> String {
    let pairs: Vec<String> = xs.iter().zip(ys).map(|(x, y)| format!("{x} → {y}")).collect();
    pairs.join(", ")
}

/// Where the tables are read.
const XS: [i64; 5] = [0, 1, 2, 3, 4];

/// The values as points of a plot, with the curve of a rule where one is found.
#[expect(clippy::cast_precision_loss, reason = "values of a plot are small")]
fn plotted(xs: &[i64], ys: &[i64], rule: Option<&str>) -> Figure {
    let most = |values: &[i64]| values.iter().copied().max().unwrap_or(1) as f64;
    let (right, top) = (most(xs) + 1.0, most(ys) * 1.15 + 1.0);
    let curve = rule.and_then(|rule| {
        let rule_expr = algebra::read_expr(rule).ok()?;
        let at = |n: i32| f64::from(n) * right / 60.0;
        let points =
            (0..=60).filter_map(|n| Some([at(n), algebra::plot::value(&rule_expr, "x", at(n))?]));
        Some(Curve { label: format!("y = {rule}"), pieces: vec![points.collect()] })
    });
    let point = |(&x, &y): (&i64, &i64)| Place { at: [x as f64, y as f64], label: String::new() };
    Figure::Graph {
        letter: "x".into(),
        x: [-0.5, right],
        y: [-top / 12.0, top],
        curves: curve.into_iter().collect(),
        points: xs.iter().zip(ys).map(point).collect(),
    }
}

/// The same as a picture.
fn tabled(xs: &[i64], ys: &[i64]) -> Figure {
    let row = |values: &[i64]| values.iter().map(i64::to_string).collect();
    Figure::Table { heads: vec!["x".into(), "y".into()], rows: vec![row(xs), row(ys)] }
}

/// A straight line, a square or a doubling in turn.
fn values(kind: usize, draw: &mut Draw) -> (Vec<i64>, String, [String; 3]) {
    let (a, b) = (draw.between(2, 6), draw.between(1, 9));
    match kind {
        0 => (
            (0..5).map(|x| a * x + b).collect(),
            sum(&[(a, "x"), (b, "")]),
            [sum(&[(b, "x"), (a, "")]), sum(&[(a, "x")]), sum(&[(1, "x^2"), (b, "")])],
        ),
        1 => (
            (0..5).map(|x| x * x + b).collect(),
            sum(&[(1, "x^2"), (b, "")]),
            [sum(&[(1, "x"), (b, "")]), "x^2".to_owned(), format!("{b} × 2^x")],
        ),
        _ => (
            (0..5).map(|x| b * (1 << x)).collect(),
            if b == 1 { "2^x".to_owned() } else { format!("{b} × 2^x") },
            [sum(&[(b, "x"), (b, "")]), sum(&[(b, "x^2"), (b, "")]), format!("{}^x", 2 * b)],
        ),
    }
}

fn linear_or_not(index: usize, draw: &mut Draw) -> Posed {
    let kind = if index.is_multiple_of(2) { 0 } else { 1 + usize::from(draw.coin()) };
    let (ys, ..) = values(kind, draw);
    let differences: Vec<i64> = ys.windows(2).map(|pair| pair[1] - pair[0]).collect();
    let (answer, other, claims) = if kind == 0 {
        let claims =
            ys.windows(2).map(|pair| format!("{} - {} = {}", pair[1], pair[0], differences[0]));
        ("linear", "not linear", claims.collect::<Vec<_>>())
    } else {
        let first = format!("{} - {} = {}", ys[1], ys[0], differences[0]);
        let last = format!("{} - {} = {}", ys[4], ys[3], differences[3]);
        (
            "not linear",
            "linear",
            vec![first, last, format!("{} < {}", differences[0], differences[3])],
        )
    };
    let mut lines = Lines::default();
    for (n, claim) in claims.iter().enumerate() {
        let why = match (n, kind) {
            (0, _) => "From the first value to the second",
            (2, k) if k > 0 => "They are not the same",
            (_, 0) => "The same difference again",
            _ => "From the fourth value to the fifth",
        };
        lines = lines.work(claim, why);
    }
    let posed = Posed::shown(
        format!("A table shows {}. Is this linear, or not linear?", table(&[0, 1, 2, 3, 4], &ys)),
        answer,
        claims.iter().map(|claim| line(claim)).collect(),
    )
    .slip(other, slip::CURVE_CALLED_LINEAR)
    .way(method::DIFFERENCES, lines.clone().end(format!("It is {answer}.")))
    .way(
        method::FIT,
        lines.end(format!(
            "The points lie {}: it is {answer}.",
            if kind == 0 { "on a straight line" } else { "on a curve" }
        )),
    )
    .grows(method::FIT, [(0, plotted(&XS, &ys, None))])
    .figure(tabled(&[0, 1, 2, 3, 4], &ys));
    Posed { form: Form::Choice, ..posed }
}

fn which_rule(index: usize, draw: &mut Draw) -> Posed {
    let kind = index % 3;
    let (ys, rule, wrong) = values(kind, draw);
    let put_in = |n: i64| rule.replace('x', &format!("({n})"));
    let claims: Vec<String> =
        (0..5).map(|n| format!("{} = {}", put_in(n), ys[n as usize])).collect();
    let mut lines = Lines::default();
    for (n, claim) in claims.iter().enumerate().skip(1).take(3) {
        lines = lines.work(claim, format!("Put in {}", tex(&format!("x = {n}"))));
    }
    let told = |rule: &str| format!("y = {rule}");
    Posed::shown(
        format!("A table shows {}. Which rule gives $y$ from $x$?", table(&[0, 1, 2, 3, 4], &ys)),
        told(&rule),
        claims.iter().map(|claim| line(claim)).collect(),
    )
    .slip(
        told(&wrong[0]),
        if kind == 0 { slip::START_FORGOTTEN } else { slip::CURVE_CALLED_LINEAR },
    )
    .slip(told(&wrong[1]), slip::START_FORGOTTEN)
    .near([told(&wrong[2])])
    .way(
        if kind == 2 { method::RATIO } else { method::DIFFERENCES },
        lines.clone().end(format!("The rule is {}.", told(&rule))),
    )
    .way(method::FIT, lines.end(format!("The curve of {} goes through every point.", told(&rule))))
    .grows(method::FIT, [(0, plotted(&XS, &ys, None)), (2, plotted(&XS, &ys, Some(&rule)))])
    .figure(tabled(&[0, 1, 2, 3, 4], &ys))
}

/// Measured around round things: proportional to the radius, by a factor of about 2π.
fn around_a_jar(draw: &mut Draw) -> Posed {
    let (first, second, third) = (draw.between(2, 4), draw.between(5, 7), draw.between(10, 30));
    let around = |r: i64| nearest(&format!("2π × {r}"), 1);
    let name = scenario::name(draw);
    let typed = format!("2π × {third}");
    let answer = around(third);
    let told = |typed: &str| format!("≈ {}", nearest(typed, 1));
    rounded_value(
        format!(
            "{name} measures round lids: with radius {first} cm the edge is {} cm long, with radius {second} cm {} cm. Find a rule, and predict the edge for radius {third} cm to 1 decimal place.",
            around(first),
            around(second)
        ),
        &typed,
        1,
    )
    .slip(told(&format!("π × {third}^2")), slip::SQUARE_NOT_TAKEN)
    .slip(told(&format!("{} + {}", around(second), third - second)), slip::DIFFERENCE_FOR_RATIO)
    .near([told(&format!("π × {third}")), told(&format!("2π × {}", third + 1))])
    .way(
        method::RATIO,
        Lines::default()
            .work(
                &format!("{} ÷ {first} ≈ {}", around(first), nearest(&format!("{} ÷ {first}", around(first)), 2)),
                "The edge is always about 6.28 times the radius",
            )
            .work(
                &format!("{} ÷ {second} ≈ {}", around(second), nearest(&format!("{} ÷ {second}", around(second)), 2)),
                "and that is about $2π$",
            )
            .begin(&typed, "So the rule is $2π$ times the radius")
            .round(&format!("≈ {answer}"), "Work it out, and round to 1 decimal place"),
    )
    .answered(format!("About {answer} cm."), "cm")
}

/// Areas of round things: proportional to the square of the radius.
fn over_a_jar(draw: &mut Draw) -> Posed {
    let (r, k) = (draw.between(2, 6), draw.between(2, 5));
    let area = nearest(&format!("π × {r}^2"), 1);
    let name = scenario::name(draw);
    let typed = format!("{area} × {k}^2");
    let value = nearest(&typed, 1);
    let value = value.trim_end_matches('0').trim_end_matches('.').to_owned();
    Posed::value(
        format!("{name} covers a round lid of radius {r} cm with {area} cm² of beeswax cloth. How much cloth does a lid of {} cm radius take, by the same rule, in cm²?", k * r),
        line(&typed),
        line(&value),
        Form::Any,
    )
    .slip(nearest(&format!("{area} × {k}"), 1), slip::SQUARE_NOT_TAKEN)
    .slip(nearest(&format!("{area} + {}", k * r), 1), slip::DIFFERENCE_FOR_RATIO)
    .near([nearest(&format!("{area} × {k}^3"), 1), nearest(&format!("{area} × {}", k + 1), 1)])
    .way(
        method::RATIO,
        Lines::start(&typed)
            .work(&format!("{} ÷ {r} = {k}", k * r), format!("The radius is {k} times as large"))
            .then(&format!("{area} × {}", k * k), format!("So the area is {k} times {k} times as large"))
            .then(&value, "Multiply"),
    )
    .answered(format!("It takes {value} cm²."), "cm²")
}

/// A scale read each week: steady growth from a start.
fn weighed(draw: &mut Draw) -> Posed {
    let (start, step, week) = (draw.between(12, 30), draw.between(2, 6), draw.between(6, 15));
    let (thing, verb, unit) = *draw.one_of(&[
        ("hive scale", "shows", "kg"),
        ("rain gauge", "stands at", "mm"),
        ("honey tank", "holds", "litres"),
    ]);
    let typed = format!("{start} + {step} × {week}");
    let value = start + step * week;
    let shown: Vec<i64> = (0..4).map(|n| start + n * step).collect();
    Posed::value(
        format!(
            "Week after week, beginning with week 0, the {thing} {verb} {}, {}, {} and {} {unit}. What does that predict for week {week}?",
            shown[0], shown[1], shown[2], shown[3]
        ),
        line(&typed),
        line(&value.to_string()),
        Form::Any,
    )
    .knows(
        World::by(formulas::LINE)
            .given("start", "c", start, unit)
            .between("growth each week", "m", step, unit)
            .given("week", "x", week, "")
            .asked("prediction", "y", value, unit),
    )
    .slip((step * week).to_string(), slip::START_FORGOTTEN)
    .slip((value + step).to_string(), slip::DIFFERENCE_FOR_RATIO)
    .near([(start * week).to_string(), (value - step).to_string()])
    .way(
        method::DIFFERENCES,
        Lines::start(&typed)
            .work(&format!("{} - {} = {step}", shown[1], shown[0]), "The same difference each week")
            .work(&format!("{} - {} = {step}", shown[3], shown[2]), "up to the last")
            .then(&format!("{start} + {}", step * week), format!("{week} weeks of growth"))
            .then(&value.to_string(), "Add the start"),
    )
    .answered(format!("In week {week} it is {value} {unit}."), unit)
}
