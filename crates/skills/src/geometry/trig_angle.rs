//! An angle of a right-angled triangle from two sides.
//!
//! Methods: label the sides and choose the ratio; the formula at once. What counts as nice: whole sides; answers to 1
//! decimal place.

use crate::geometry::trig_side::{law, triangle};
use crate::kit::*;

/// The skill `trig.angle`.
pub struct TrigAngle;

slips! {
    RATIO_UPSIDE_DOWN = "ratio-upside-down": "Which side is above, which below? The hypotenuse is the longest.",
        "Turns the ratio upside down.";
    WRONG_RATIO = "wrong-ratio": "Label the sides: across, beside, hypotenuse. Which two do you know?",
        "Takes the wrong one of sine, cosine and tangent.";
    OTHER_ANGLE = "other-angle": "Which corner is asked for?",
        "Gives the other acute angle.";
    EYE_HEIGHT_FORGOTTEN = "eye-height-forgotten": "From where does the look start: from the ground, or from the eye?",
        "Leaves the height of the eye out.";
}

methods! {
    LABEL_AND_CHOOSE = "label-and-choose": "Label, then choose",
    FORMULA = "formula": "Formula",
}

impl Skill for TrigAngle {
    fn card(&self) -> Card {
        Card {
            id: "trig.angle",
            strand: Strand::Geometry,
            grades: (8, 11),
            title: "Angles by trigonometry",
            objective: "I can find an angle of a right-angled triangle from two sides.",
            vocabulary: terms![
                "inverse sine": "the angle whose sine it is",
                "angle of depression": "the angle from level down to what one looks at",
                "slope": "how far it goes up for each step across",
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
            (Stage::Tilt, _) => from_the_eye(index, draw),
            (Stage::Climb, _) => story(index, draw),
        }
    }
}

const RATIOS: [(&str, &str, &str); 3] = [
    ("sin", "opposite", "hypotenuse"),
    ("cos", "adjacent", "hypotenuse"),
    ("tan", "opposite", "adjacent"),
];

/// An angle as it is told, rounded to tenths of a degree.
fn told(exact: &str) -> String {
    format!("A ≈ {}°", nearest(&format!("{exact} × 180/π"), 1))
}

/// `f(A) = above/below`; the answer is asked for in degrees.
fn angle(prompt: String, ratio: usize, above: i64, below: i64) -> Posed {
    let (f, of_above, of_below) = RATIOS[ratio];
    let equation = format!("{f} A = {above}/{below}");
    let exact = format!("arc{f}({above}/{below})");
    let answer = told(&exact);
    let other = match f {
        "sin" => "arccos",
        "cos" => "arcsin",
        _ => "arcsin",
    };
    let wrong = if f == "tan" && above >= below {
        told(&format!("arctan({above}/{}) ", below + above))
    } else {
        told(&format!("{other}({above}/{below})"))
    };
    let name = match f {
        "sin" => "Sine",
        "cos" => "Cosine",
        _ => "Tangent",
    };
    let lines = |lines: Lines| {
        lines
            .then(&format!("A = {exact}"), "Take the inverse")
            .round(&answer, "Work it out in degrees, and round to 1 decimal place")
    };
    let figure = figure_of(ratio, above, below);
    Posed::solve(prompt, line(&equation), "A", line(&answer))
        .form(Form::Decimal(1))
        .given("0 < A < π/2")
        .slip(told(&format!("arctan({below}/{above})")), slip::RATIO_UPSIDE_DOWN)
        .slip(wrong, slip::WRONG_RATIO)
        .slip(told(&format!("(π/2 - {exact})")), slip::OTHER_ANGLE)
        .near([told(&format!("({exact} + π/36)")), told(&format!("({exact} + π/18)"))])
        .way(
            method::LABEL_AND_CHOOSE,
            lines(
                Lines::default()
                    .say(
                        format!("Known are the {of_above} side and the {of_below}.")
                            .replace("the adjacent.", "the adjacent side."),
                        "Label the sides as they lie to the angle",
                    )
                    .begin(&equation, format!("{name} is {of_above} over {of_below}")),
            ),
        )
        .way(method::FORMULA, lines(Lines::start(&equation)))
        .figure(figure)
        .knows(
            World::by(law(ratio).0)
                .given(of_above, law(ratio).1[0], above, "")
                .given(of_below, law(ratio).1[1], below, "")
                .asked("angle", "α", &exact, "°"),
        )
}

fn figure_of(ratio: usize, above: i64, below: i64) -> Figure {
    let (a, b) = (above.to_string(), below.to_string());
    #[expect(
        clippy::cast_precision_loss,
        clippy::cast_possible_truncation,
        reason = "for a drawing"
    )]
    let degrees = {
        let quotient = above as f64 / below as f64;
        let radians = match ratio {
            0 => quotient.min(1.0).asin(),
            1 => quotient.min(1.0).acos(),
            _ => quotient.atan(),
        };
        radians.to_degrees().round().clamp(12.0, 78.0) as i64
    };
    let labels = match ratio {
        0 => ["", &a, &b],
        1 => [&a, "", &b],
        _ => [&b, &a, ""],
    };
    triangle(degrees, "A", labels)
}

/// Two sides of which the hypotenuse, if it is there, is clearly longer.
fn sides(ratio: usize, draw: &mut Draw) -> (i64, i64) {
    loop {
        let (above, below) = (draw.between(3, 20), draw.between(4, 25));
        let fits = if ratio == 2 {
            above != below && above * 5 > below && below * 5 > above
        } else {
            above * 10 < below * 9 && above * 5 > below
        };
        // No angle that is known by heart.
        if fits && 2 * above != below {
            return (above, below);
        }
    }
}

fn bare(index: usize, draw: &mut Draw) -> Posed {
    let ratio = index % 3;
    let (above, below) = sides(ratio, draw);
    let known = match ratio {
        0 => format!(
            "the leg across from angle $A$ is {above} cm long and the hypotenuse {below} cm"
        ),
        1 => format!("the leg beside angle $A$ is {above} cm long and the hypotenuse {below} cm"),
        _ => format!(
            "the leg across from angle $A$ is {above} cm long and the leg beside it {below} cm"
        ),
    };
    angle(
        format!(
            "In a right-angled triangle, {known}. How large is $A$? Round to 1 decimal place of a degree."
        ),
        ratio,
        above,
        below,
    )
}

/// Up from an eye, or down from one.
fn from_the_eye(index: usize, draw: &mut Draw) -> Posed {
    let name = scenario::name(draw);
    let (rise, far) = sides(2, draw);
    let (prompt, forgotten) = if index.is_multiple_of(2) {
        let eye = draw.between(1, 2);
        (
            format!(
                "{name}'s eye is {eye} m above the ground. {far} m away a tree reaches {} m above the ground. At which angle above level does {name} see its top? Round to 1 decimal place of a degree.",
                rise + eye
            ),
            rise + eye,
        )
    } else {
        let stand = draw.between(1, 3);
        (
            format!(
                "{name} looks down from a platform. The eye is {} m above the meadow, and a hive stands {far} m away; its lid is {stand} m above the meadow. At which angle below level does {name} see the lid? Round to 1 decimal place of a degree.",
                rise + stand
            ),
            rise + stand,
        )
    };
    let exact = format!("arctan({rise}/{far})");
    let mut posed = angle(prompt, 2, rise, far).answered(
        format!("{name} sees it at about {}°.", nearest(&format!("{exact} × 180/π"), 1)),
        "°",
    );
    posed.wrong.insert(
        0,
        teaching::problem::Wrong {
            text: told(&format!("arctan({forgotten}/{far})")),
            slip: Some(slip::EYE_HEIGHT_FORGOTTEN),
        },
    );
    // The height has to be found first.
    let first = format!("{forgotten} - {} = {rise}", forgotten - rise);
    for (_, working) in &mut posed.workings {
        let draft = teaching::working::Draft::Line {
            line: line(&first),
            reason: "How far it is above or below the eye".into(),
            role: algebra::Role::Checks,
        };
        working.0.insert(0, draft);
    }
    posed
}

fn story(index: usize, draw: &mut Draw) -> Posed {
    let name = scenario::name(draw);
    let (prompt, ratio, above, below, sentence) = match index % 3 {
        0 => {
            let (rise, across) = sides(2, draw);
            (
                format!(
                    "The path to the hives climbs {rise} m over {} m of level ground. At which angle does it climb? Round to 1 decimal place of a degree.",
                    across * 5
                ),
                2,
                rise,
                across * 5,
                "It climbs at about {x}°.",
            )
        }
        1 => {
            let (foot, long) = sides(1, draw);
            (
                format!(
                    "A ladder of {long} dm leans on the wall; its foot stands {foot} dm from it. {name} wants to know at which angle to the ground it stands. Round to 1 decimal place of a degree."
                ),
                1,
                foot,
                long,
                "It stands at about {x}°.",
            )
        }
        _ => {
            let (high, long) = sides(0, draw);
            (
                format!(
                    "{name} flies a kite in the shape of a bee. The line is {} m long and straight, and the kite is {} m above the hand. At which angle does the line rise? Round to 1 decimal place of a degree.",
                    2 * long,
                    2 * high
                ),
                0,
                2 * high,
                2 * long,
                "The line rises at about {x}°.",
            )
        }
    };
    let exact = format!("arc{}({above}/{below})", RATIOS[ratio].0);
    let value = nearest(&format!("{exact} × 180/π"), 1);
    angle(prompt, ratio, above, below).answered(sentence.replace("{x}", &value), "°")
}
