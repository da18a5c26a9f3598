//! A side of a right-angled triangle from an angle and another side.
//!
//! Methods: label the sides and choose the ratio; the formula at once. Source: Regiomontanus, *De triangulis*. What counts
//! as nice: whole degrees and whole sides; answers to 1 decimal place.

use crate::kit::*;

/// The skill `trig.side`.
pub struct TrigSide;

slips! {
    WRONG_RATIO = "wrong-ratio": "Label the sides: across, beside, hypotenuse. Which two are in play?",
        "Takes sine for cosine, or another wrong ratio.";
    MULTIPLIED_FOR_DIVIDED = "multiplied-for-divided": "Does the side asked for stand above the bar, or below it?",
        "Multiplies where the unknown stands below the fraction bar.";
    RADIANS = "radians": "Is your calculator set to degrees?",
        "Works in radians.";
    PYTHAGORAS_FOR_ANGLE = "pythagoras-for-angle": "Which two sides do you know? One is not enough for squares.",
        "Uses the theorem of Pythagoras where an angle is given.";
}

methods! {
    LABEL_AND_CHOOSE = "label-and-choose": "Label, then choose",
    FORMULA = "formula": "Formula",
}

impl Skill for TrigSide {
    fn card(&self) -> Card {
        Card {
            id: "trig.side",
            strand: Strand::Geometry,
            grades: (8, 11),
            title: "Sides by trigonometry",
            objective: "I can find a side of a right-angled triangle from an angle and a side.",
            vocabulary: terms![
                "opposite": "the side across from the angle",
                "adjacent": "the leg beside the angle",
                "hypotenuse": "the side across from the right angle",
                "angle of elevation": "the angle from level up to what one looks at",
            ],
            methods: METHODS,
        }
    }

    fn slips(&self) -> &'static [&'static dyn Slip] {
        SLIPS
    }

    fn pose(&self, stage: Stage, index: usize, draw: &mut Draw) -> Posed {
        match (stage, index % 3) {
            (Stage::Grip, _) => on_top(index, draw),
            (Stage::Tilt, _) => below(index, draw),
            (Stage::Climb, 0) => which_tool(draw),
            (Stage::Climb, _) => story(index, draw),
        }
    }
}

/// Sine, cosine, tangent: what stands above and below the bar.
const RATIOS: [(&str, &str, &str); 3] = [
    ("sin", "opposite", "hypotenuse"),
    ("cos", "adjacent", "hypotenuse"),
    ("tan", "opposite", "adjacent"),
];

fn told(typed: &str) -> String {
    format!("x ≈ {}", nearest(typed, 1))
}

#[expect(clippy::cast_precision_loss, reason = "degrees are small")]
pub(super) fn triangle(angle: i64, angle_label: &str, labels: [&str; 3]) -> Figure {
    let (sine, cosine) = (angle as f64).to_radians().sin_cos();
    let [adjacent, opposite, hypotenuse] = labels.map(str::to_owned);
    // The angle stands at the left, the right angle at the right end of the base.
    let corners = vec![[0.0, 0.0], [cosine, 0.0], [cosine, sine]];
    let polygon =
        Polygon { corners, sides: vec![adjacent, opposite, hypotenuse], ..Polygon::default() };
    polygon.right_at(1).angle(0, angle_label).into()
}

fn labelled(ratio: usize, above: &str, below: &str, angle: i64) -> Figure {
    let mut labels = [""; 3];
    let place = |side: &str| match side {
        "adjacent" => 0,
        "opposite" => 1,
        _ => 2,
    };
    labels[place(RATIOS[ratio].1)] = above;
    labels[place(RATIOS[ratio].2)] = below;
    triangle(angle, &format!("{angle}°"), labels)
}

fn drawn_angle(draw: &mut Draw) -> i64 {
    loop {
        let angle = draw.between(18, 72);
        if angle != 45 && angle != 30 && angle != 60 {
            return angle;
        }
    }
}

/// The letters of the sides as they lie to the angle, with the formula that joins two of them.
pub(super) fn law(ratio: usize) -> (formulas::Formula, [&'static str; 2]) {
    match ratio {
        0 => (formulas::SINE, ["o", "h"]),
        1 => (formulas::COSINE, ["a", "h"]),
        _ => (formulas::TANGENT, ["o", "a"]),
    }
}

/// A right-angled triangle with an angle and a side, of which another side is asked for.
fn world(ratio: usize, angle: i64, side: i64, asked: usize, exact: &str) -> World {
    let (formula, letters) = law(ratio);
    let (_, over, under) = RATIOS[ratio];
    let names = [over, under];
    World::by(formula)
        .given("angle", "α", format!("{angle}°"), "")
        .given(names[1 - asked], letters[1 - asked], side, "")
        .asked(names[asked], letters[asked], exact, "")
}

/// `f(angle) = x/side`
pub(super) fn above(prompt: String, ratio: usize, angle: i64, side: i64) -> Posed {
    let (f, asked, known) = RATIOS[ratio];
    let other = if f == "sin" { "cos" } else { "sin" };
    let equation = format!("{f}({angle}°) = x/{side}");
    let exact = format!("{side} × {f}({angle}°)");
    let lines = |lines: Lines| {
        lines
            .then(&format!("x = {exact}"), format!("Multiply both sides by {side}"))
            .round(&told(&exact), "Work it out in degrees, and round to 1 decimal place")
    };
    rounded_solution(prompt, &equation, "x", &exact, 1)
        .knows(world(ratio, angle, side, 0, &exact))
        .slip(told(&format!("{side} × {other}({angle}°)")), slip::WRONG_RATIO)
        .slip(told(&format!("{side}/{f}({angle}°)")), slip::MULTIPLIED_FOR_DIVIDED)
        .slip(told(&format!("{side} × {f}({angle})")), slip::RADIANS)
        .near([told(&format!("{exact} + 1"))])
        .way(
            method::LABEL_AND_CHOOSE,
            lines(
                Lines::default()
                    .say(
                        format!("Asked for is the {asked} side, known is the {known}."),
                        "Label the sides as they lie to the angle",
                    )
                    .begin(&equation, format!("{} is {asked} over {known}", name_of(f))),
            ),
        )
        .way(method::FORMULA, lines(Lines::start(&equation)))
}

fn name_of(f: &str) -> &'static str {
    match f {
        "sin" => "Sine",
        "cos" => "Cosine",
        _ => "Tangent",
    }
}

fn the(side: &str) -> String {
    match side {
        "hypotenuse" => "the hypotenuse".into(),
        "opposite" => "the leg across from it".into(),
        _ => "the leg beside it".into(),
    }
}

fn on_top(index: usize, draw: &mut Draw) -> Posed {
    let (ratio, angle, side) = (index % 3, drawn_angle(draw), draw.between(4, 30));
    let (_, asked, known) = RATIOS[ratio];
    above(
        format!(
            "In a right-angled triangle one angle is {angle}°, and {} is {side} cm long. How long is {} in cm? Round to 1 decimal place.",
            the(known),
            the(asked).replace("from it", "from the angle").replace("beside it", "beside the angle")
        ),
        ratio,
        angle,
        side,
    )
    .figure(labelled(ratio, "x", &format!("{side} cm"), angle))
}

/// `f(angle) = side/x`
fn below(index: usize, draw: &mut Draw) -> Posed {
    let (ratio, angle, side) = (index % 3, drawn_angle(draw), draw.between(4, 30));
    let (f, known, asked) = RATIOS[ratio];
    let other = if f == "sin" { "cos" } else { "sin" };
    let equation = format!("{f}({angle}°) = {side}/x");
    let exact = format!("{side}/{f}({angle}°)");
    let lines = |lines: Lines| {
        lines
            .then(&format!("x × {f}({angle}°) = {side}"), "Multiply both sides by $x$")
            .then(
                &format!("x = {exact}"),
                format!("Divide both sides by {}", tex(&format!("{f}({angle}°)"))),
            )
            .round(&told(&exact), "Work it out in degrees, and round to 1 decimal place")
    };
    rounded_solution(
        format!(
            "In a right-angled triangle one angle is {angle}°, and {} is {side} cm long. How long is {} in cm? Round to 1 decimal place.",
            the(known),
            the(asked).replace("from it", "from the angle").replace("beside it", "beside the angle")
        ),
        &equation,
        "x",
        &exact,
        1,
    )
    .knows(world(ratio, angle, side, 1, &exact))
    .slip(told(&format!("{side} × {f}({angle}°)")), slip::MULTIPLIED_FOR_DIVIDED)
    .slip(told(&format!("{side}/{other}({angle}°)")), slip::WRONG_RATIO)
    .near([told(&format!("{exact} + 1")), told(&format!("{exact} + 2"))])
    .way(
        method::LABEL_AND_CHOOSE,
        lines(
            Lines::default()
                .say(
                    format!("Known is the {known} side, asked for is the {asked}."),
                    "Label the sides as they lie to the angle",
                )
                .begin(&equation, format!("{} is {known} over {asked}", name_of(f))),
        ),
    )
    .way(method::FORMULA, lines(Lines::start(&equation)))
    .figure(labelled(ratio, &format!("{side} cm"), "x", angle))
}

/// Pythagoras or trigonometry?
fn which_tool(draw: &mut Draw) -> Posed {
    let (a, b, angle) = (draw.between(3, 15), draw.between(3, 15), drawn_angle(draw));
    let name = scenario::name(draw);
    let (text, answer, other, claim, why) = if draw.coin() {
        (
            format!(
                "{name} knows the two legs of a right-angled sail, {a} m and {b} m, and wants the third side."
            ),
            "the theorem of Pythagoras",
            "trigonometry",
            format!("{a}^2 + {b}^2 = {}", a * a + b * b),
            "Two sides are known and no angle: square and add",
        )
    } else {
        (
            format!(
                "{name} stands {a} m from a tree, sees its top {angle}° above level, and wants to know how high it reaches above the eye."
            ),
            "trigonometry",
            "the theorem of Pythagoras",
            format!("{a} × tan({angle}°) ≈ {}", nearest(&format!("{a} × tan({angle}°)"), 1)),
            "One side and an angle are known: use a ratio",
        )
    };
    Posed::shown(
        format!("{text} Which is the tool: the theorem of Pythagoras, or trigonometry?"),
        answer,
        vec![line(&claim)],
    )
    .slip(other, slip::PYTHAGORAS_FOR_ANGLE)
    .way(
        method::LABEL_AND_CHOOSE,
        Lines::default().work(&claim, why).end(format!("The tool is {answer}.")),
    )
}

fn story(index: usize, draw: &mut Draw) -> Posed {
    let (name, angle) = (scenario::name(draw), drawn_angle(draw));
    match index % 3 {
        1 => {
            let far = draw.between(8, 40);
            let posed = above(
                format!(
                    "{name} stands {far} m from the lime tree and sees its top {angle}° above level. How far above {name}'s eye is the top, in m? Round to 1 decimal place."
                ),
                2,
                angle,
                far,
            );
            let value = nearest(&format!("{far} × tan({angle}°)"), 1);
            posed
                .answered(format!("The top is about {value} m above the eye."), "m")
                .figure(labelled(2, "x", &format!("{far} m"), angle))
        }
        _ if draw.coin() => {
            let long = draw.between(20, 60);
            let posed = above(
                format!(
                    "A ladder of {long} dm leans on the wall of the honey room at {angle}° to the ground. How high does it reach, in dm? Round to 1 decimal place."
                ),
                0,
                angle,
                long,
            );
            let value = nearest(&format!("{long} × sin({angle}°)"), 1);
            posed.answered(format!("It reaches about {value} dm high."), "dm").figure(labelled(
                0,
                "x",
                &format!("{long} dm"),
                angle,
            ))
        }
        _ => {
            let long = draw.between(30, 90);
            let posed = above(
                format!(
                    "A cord of {long} dm holds a mast with flags. It makes an angle of {angle}° with the ground. How far from the mast is it pegged down, in dm? Round to 1 decimal place."
                ),
                1,
                angle,
                long,
            );
            let value = nearest(&format!("{long} × cos({angle}°)"), 1);
            posed
                .answered(format!("It is pegged down about {value} dm from the mast."), "dm")
                .figure(labelled(1, "x", &format!("{long} dm"), angle))
        }
    }
}
