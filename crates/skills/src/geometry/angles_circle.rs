//! Angles at a circle.
//!
//! Method: an inscribed angle is half of its arc, a central angle is as large as its arc. Source: Euclid, *Elements*, book
//! III, propositions 20 and 31. What counts as nice: whole degrees.

use crate::kit::*;

/// The skill `angles.circle`.
pub struct AnglesCircle;

slips! {
    INSCRIBED_EQUALS_ARC = "inscribed-equals-arc": "Where is the corner of the angle: at the centre, or on the circle?",
        "Takes the inscribed angle to be as large as the arc.";
    DOUBLED_FOR_HALVED = "doubled-for-halved": "Is the arc larger than the inscribed angle, or smaller?",
        "Doubles where it should halve.";
    REST_OF_CIRCLE = "rest-of-circle": "Which arc lies inside the angle?",
        "Takes the other arc.";
    STRAIGHT_FOR_RIGHT = "straight-for-right": "What is half of a half circle?",
        "Takes the angle in a semicircle for 180°.";
}

methods! {
    HALF_THE_ARC = "half-the-arc": "Half the arc",
    EQUATION = "equation": "Equation",
}

impl Skill for AnglesCircle {
    fn card(&self) -> Card {
        Card {
            id: "angles.circle",
            strand: Strand::Geometry,
            grades: (9, 11),
            title: "Angles at a circle",
            objective: "I can find central and inscribed angles from arcs, and arcs from angles.",
            vocabulary: terms![
                "arc": "a part of the circle, measured in degrees",
                "central angle": "an angle with its corner at the centre",
                "inscribed angle": "an angle with its corner on the circle",
                "semicircle": "half of a circle",
            ],
            methods: METHODS,
        }
    }

    fn slips(&self) -> &'static [&'static dyn Slip] {
        SLIPS
    }

    fn pose(&self, stage: Stage, index: usize, draw: &mut Draw) -> Posed {
        match (stage, index % 3) {
            (Stage::Grip, 2) => central(draw),
            (Stage::Grip, _) => inscribed(draw),
            (Stage::Tilt, 0) => which_equation(draw),
            (Stage::Tilt, _) => arc_from_angle(draw),
            (Stage::Climb, 0) => semicircle(draw),
            (Stage::Climb, _) => algebraic(index, draw),
        }
    }
}

#[expect(clippy::cast_precision_loss, reason = "degrees are small")]
fn seen(arc: i64, arc_label: &str, inscribed: &str, central: &str) -> Figure {
    let half = arc as f64 / 2.0;
    Circle {
        arc: Some([270.0 - half, 270.0 + half]),
        arc_label: arc_label.into(),
        inscribed: inscribed.into(),
        central: central.into(),
        seen_from: (!inscribed.is_empty()).then_some(75.0),
        ..Circle::default()
    }
    .into()
}

fn arc(draw: &mut Draw) -> i64 {
    2 * draw.between(20, 80)
}

fn inscribed(draw: &mut Draw) -> Posed {
    let arc = arc(draw);
    let typed = format!("{arc} ÷ 2");
    let half = arc / 2;
    Posed::value(
        format!("An inscribed angle stands on an arc of {arc}°. How many degrees is the angle?"),
        line(&typed),
        line(&half.to_string()),
        Form::Any,
    )
    .slip(arc.to_string(), slip::INSCRIBED_EQUALS_ARC)
    .slip((2 * arc).to_string(), slip::DOUBLED_FOR_HALVED)
    .slip(((360 - arc) / 2).to_string(), slip::REST_OF_CIRCLE)
    .way(
        method::HALF_THE_ARC,
        Lines::start(&typed).then(&half.to_string(), "An inscribed angle is half of its arc"),
    )
    .figure(seen(arc, &format!("{arc}°"), "x", ""))
    .knows(
        World::new()
            .given("arc", "", arc, "°")
            .between("other arc", "", 360 - arc, "°")
            .asked("angle", "", half, "°"),
    )
}

fn central(draw: &mut Draw) -> Posed {
    let angle = draw.between(20, 85);
    let typed = format!("2 × {angle}");
    Posed::value(
        format!("An inscribed angle of {angle}° and a central angle stand on the same arc. How many degrees is the central angle?"),
        line(&typed),
        line(&(2 * angle).to_string()),
        Form::Any,
    )
    .slip(angle.to_string(), slip::INSCRIBED_EQUALS_ARC)
    .slip(fraction(angle, 2), slip::DOUBLED_FOR_HALVED)
    .slip((360 - 2 * angle).to_string(), slip::REST_OF_CIRCLE)
    .way(
        method::HALF_THE_ARC,
        Lines::start(&typed).then(
            &(2 * angle).to_string(),
            "The arc is twice the inscribed angle, and the central angle is as large as the arc",
        ),
    )
    .figure(seen(2 * angle, "", &format!("{angle}°"), "x"))
    .knows(
        World::new()
            .given("inscribed angle", "", angle, "°")
            .between("arc", "", 2 * angle, "°")
            .asked("central angle", "", 2 * angle, "°"),
    )
}

fn arc_from_angle(draw: &mut Draw) -> Posed {
    let arc = arc(draw);
    let angle = arc / 2;
    let equation = format!("x/2 = {angle}");
    Posed::equation(
        format!("An inscribed angle is {angle}°. How many degrees is the arc that it stands on?"),
        line(&equation),
        "x",
        from_int(arc),
    )
    .slip(angle.to_string(), slip::INSCRIBED_EQUALS_ARC)
    .slip(fraction(angle, 2), slip::DOUBLED_FOR_HALVED)
    .slip((360 - arc).to_string(), slip::REST_OF_CIRCLE)
    .way(
        method::EQUATION,
        Lines::start(&equation)
            .then(&format!("x = 2 × {angle}"), "Multiply both sides by 2")
            .then(&format!("x = {arc}"), "Work it out"),
    )
    .figure(seen(arc, "x", &format!("{angle}°"), ""))
    .knows(World::new().given("inscribed angle", "", angle, "°").asked("arc", "", arc, "°"))
}

/// Which equation belongs to the figure?
fn which_equation(draw: &mut Draw) -> Posed {
    let arc = arc(draw);
    let angle = arc / 2;
    let letter = *draw.one_of(&["x", "w", "t"]);
    Posed::shown(
        format!("An inscribed angle of ${letter}$ degrees stands on an arc of {arc}°. Which equation fits?"),
        format!("{letter} = {arc}/2"),
        vec![line(&format!("{arc}/2 = {angle}"))],
    )
    .slip(format!("{letter} = {arc}"), slip::INSCRIBED_EQUALS_ARC)
    .slip(format!("{letter} = 2 × {arc}"), slip::DOUBLED_FOR_HALVED)
    .slip(format!("{letter} = (360 - {arc})/2"), slip::REST_OF_CIRCLE)
    .way(
        method::EQUATION,
        Lines::default()
            .work(&format!("{arc}/2 = {angle}"), "An inscribed angle is half of its arc")
            .end(format!("The equation is {letter} = {arc}/2.")),
    )
    .figure(seen(arc, &format!("{arc}°"), letter, ""))
}

/// The angle in a semicircle is right: the other two add up to 90°.
fn semicircle(draw: &mut Draw) -> Posed {
    let (one, third) = (draw.between(15, 75), scenario::name(draw));
    let typed = format!("180 - 180/2 - {one}");
    let other = 90 - one;
    let (story, across) = match draw.between(0, 2) {
        0 => (format!("{third} stretches a line right across a round flower bed, and from its two ends lines to one point on the edge."), "the first line"),
        1 => ("Two paths lead from the ends of a bridge right across a round pond to one bench on the bank.".into(), "the bridge"),
        _ => (format!("On the round lid of a feeder {third} draws a line through the middle, and from its two ends lines to one point on the rim."), "the first line"),
    };
    Posed::value(
        format!("{story} At one end of {across} the angle is {one}°. How many degrees is the angle at the other end?"),
        line(&typed),
        line(&other.to_string()),
        Form::Any,
    )
    .slip((180 - one).to_string(), slip::STRAIGHT_FOR_RIGHT)
    .slip(one.to_string(), slip::INSCRIBED_EQUALS_ARC)
    .near([(2 * one).to_string(), (other + 10).to_string()])
    .way(
        method::HALF_THE_ARC,
        Lines::start(&typed)
            .then(&format!("180 - 90 - {one}"), "The angle on a half circle is half of 180°: a right angle")
            .then(&other.to_string(), "The angles of a triangle add up to 180°"),
    )
    .answered(format!("It is {other}°."), "")
    .knows(
        World::new()
            .given("first angle", "", one, "°")
            .between("angle on the half circle", "", 90, "°")
            .asked("other angle", "", other, "°"),
    )
}

/// An inscribed angle and its arc, or two inscribed angles, as expressions.
fn algebraic(index: usize, draw: &mut Draw) -> Posed {
    let (x, a) = (draw.between(4, 12), draw.between(3, 7));
    let b = draw.nonzero(-9, 9);
    let angle = a * x + b;
    let inside = sum(&[(a, "x"), (b, "")]);
    if index.is_multiple_of(2) {
        // The same arc is seen from two points.
        let c = draw.between(1, a - 1);
        let other = sum(&[(c, "x"), (angle - c * x, "")]);
        let equation = format!("{inside} = {other}");
        return finish(
            format!(
                "Two inscribed angles stand on the same arc. One is {} degrees, the other {}. Find $x$.",
                tex(&inside),
                tex(&other)
            ),
            &equation,
            x,
            [x + 2, 2 * x],
        );
    }
    let equation = format!("2({inside}) = {}", 2 * angle);
    finish(
        format!(
            "An inscribed angle is {} degrees. It stands on an arc of {}°. Find $x$.",
            tex(&inside),
            2 * angle
        ),
        &equation,
        x,
        [2 * x, x + 1],
    )
    .slip(fraction(2 * angle - b, a), slip::INSCRIBED_EQUALS_ARC)
    .figure(seen((2 * angle).min(170), &format!("{}°", 2 * angle), &inside, ""))
}

fn finish(prompt: String, equation: &str, x: i64, near: [i64; 2]) -> Posed {
    let posed = Posed::equation(prompt, line(equation), "x", from_int(x))
        .slip(fraction(x, 2), slip::DOUBLED_FOR_HALVED)
        .near(near.map(|n| n.to_string()));
    match board(equation, "x", None) {
        Some(working) => posed.way(method::EQUATION, working),
        None => posed,
    }
}
