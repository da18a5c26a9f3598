//! Bearings: directions counted from north, clockwise, in three digits.
//!
//! Method: a north line and a right-angled triangle. A bee tells the direction of its find in a dance, by the angle to the
//! sun. What counts as nice: whole degrees and whole kilometres.

use crate::kit::*;

/// The skill `trig.bearings`.
pub struct Bearings;

slips! {
    FROM_EAST = "from-east": "Where does the count start, and which way round does it go?",
        "Counts from east, or against the clock.";
    TWO_DIGITS = "two-digits": "A bearing has three digits: 045, not 45.",
        "Writes a bearing with fewer than three digits.";
    BACK_BEARING_OFF = "back-bearing-off": "The way back points the other way: half a turn on.",
        "Does not add or take away 180° for the way back.";
    SINE_FOR_COSINE = "sine-for-cosine": "Which side of the triangle points north?",
        "Swaps the parts to the north and to the east.";
}

methods! {
    NORTH_LINE = "north-line": "North line and right triangle",
}

impl Skill for Bearings {
    fn card(&self) -> Card {
        Card {
            id: "trig.bearings",
            strand: Strand::Geometry,
            grades: (9, 11),
            title: "Bearings",
            objective: "I can read, give and calculate with bearings.",
            vocabulary: terms![
                "bearing": "a direction as an angle from north, clockwise, in three digits",
                "back bearing": "the bearing of the way back",
                "component": "the part of a way that goes north, or east",
            ],
            methods: METHODS,
        }
    }

    fn slips(&self) -> &'static [&'static dyn Slip] {
        SLIPS
    }

    fn pose(&self, stage: Stage, index: usize, draw: &mut Draw) -> Posed {
        match (stage, index % 3) {
            (Stage::Grip, 0) => named(draw),
            (Stage::Grip, _) => back(draw),
            (Stage::Tilt, 0) => component(draw),
            (Stage::Tilt, _) => distance(draw),
            (Stage::Climb, 0) => dance(draw),
            (Stage::Climb, _) => two_legs(index, draw),
        }
    }
}

/// `045°`
fn digits(bearing: i64) -> String {
    format!("{:03}°", bearing.rem_euclid(360))
}

/// A north line, and a way at that bearing.
#[expect(clippy::cast_precision_loss, reason = "degrees are small")]
fn figure(bearing: i64, label: &str) -> Figure {
    let (east, north) = (bearing as f64).to_radians().sin_cos();
    Polygon::default()
        .line([0.0, 0.0], [0.0, 1.0], "")
        .line([0.0, 0.0], [east, north], label)
        .mark([0.0, 1.14], "N")
        .turn([0.0, 0.0], 0.3, [90.0, 90.0 - bearing as f64])
        .into()
}

/// A direction given from north or south towards east or west.
fn named(draw: &mut Draw) -> Posed {
    let angle = draw.between(11, 79);
    let (from, to, typed, bearing) = match draw.between(0, 3) {
        0 => ("north", "east", format!("0 + {angle}"), angle),
        1 => ("south", "east", format!("180 - {angle}"), 180 - angle),
        2 => ("south", "west", format!("180 + {angle}"), 180 + angle),
        _ => ("north", "west", format!("360 - {angle}"), 360 - angle),
    };
    let answer = digits(bearing);
    Posed::shown(
        format!("A bee flies off {angle}° from {from} towards {to}. What is its bearing, in three digits?"),
        answer.clone(),
        vec![line(&format!("{typed} = {bearing}"))],
    )
    .slip(digits(450 - bearing), slip::FROM_EAST)
    .slip(digits(360 - bearing), slip::FROM_EAST)
    .slip(if bearing < 100 { format!("{bearing}°") } else { digits(bearing + 180) }, if bearing < 100 { slip::TWO_DIGITS } else { slip::BACK_BEARING_OFF })
    .near([digits(bearing + 90)])
    .way(
        method::NORTH_LINE,
        Lines::default()
            .work(&format!("{typed} = {bearing}"), "Start at north and turn clockwise")
            .end(format!("The bearing is {answer}.")),
    )
    .figure(figure(bearing, ""))
}

fn back(draw: &mut Draw) -> Posed {
    let bearing = loop {
        let bearing = draw.between(12, 348);
        if bearing % 90 != 0 {
            break bearing;
        }
    };
    let (sign, home) = if bearing < 180 { ('+', bearing + 180) } else { ('-', bearing - 180) };
    let (name, place) =
        (scenario::name(draw), *draw.one_of(&["clover field", "lime tree", "heather", "orchard"]));
    let answer = digits(home);
    let claim = format!("{bearing} {sign} 180 = {home}");
    Posed::shown(
        format!("From the hive, {name} walks to the {place} on a bearing of {}. On which bearing does {name} walk straight back?", digits(bearing)),
        answer.clone(),
        vec![line(&claim)],
    )
    .slip(digits(360 - bearing), slip::BACK_BEARING_OFF)
    .slip(digits(bearing), slip::BACK_BEARING_OFF)
    .slip(digits(bearing + 90), slip::FROM_EAST)
    .way(
        method::NORTH_LINE,
        Lines::default()
            .work(&claim, "Half a turn on; north lines are parallel")
            .end(format!("The bearing of the way back is {answer}.")),
    )
    .figure(figure(bearing, &digits(bearing)))
}

fn told(typed: &str) -> String {
    format!("≈ {}", nearest(typed, 1))
}

/// How far to the north, or to the east?
fn component(draw: &mut Draw) -> Posed {
    let (bearing, far) = (draw.between(12, 78), draw.between(5, 40));
    let north = draw.coin();
    let (f, other, towards) = if north { ("cos", "sin", "north") } else { ("sin", "cos", "east") };
    let typed = format!("{far} × {f}({bearing}°)");
    let name = scenario::name(draw);
    rounded_value(
        format!("{name} cycles {far} km on a bearing of {}. How far to the {towards} of the start is {name} then, in km? Round to 1 decimal place.", digits(bearing)),
        &typed,
        1,
    )
    .knows(
        World::new()
            .given("bearing", "", format!("{bearing}°"), "")
            .given("way", "h", far, "km")
            .asked(&format!("way to the {towards}"), "", &typed, "km"),
    )
    .slip(told(&format!("{far} × {other}({bearing}°)")), slip::SINE_FOR_COSINE)
    .slip(told(&format!("{far} × tan({bearing}°)")), slip::FROM_EAST)
    .near([told(&format!("{typed} + 1")), told(&format!("{typed} + 2")), told(&format!("{typed} + 3"))])
    .way(
        method::NORTH_LINE,
        Lines::start(&typed)
            .say(
                format!("The way is the hypotenuse; the part to the {towards} lies {} the angle.", if north { "beside" } else { "across from" }),
                "Draw the north line and the right angle",
            )
            .round(&told(&typed), "Work it out in degrees, and round to 1 decimal place"),
    )
    .answered(format!("About {} km.", nearest(&typed, 1)), "km")
    .figure(figure(bearing, &format!("{far} km")))
}

/// From the parts to the north and to the east: how far is it?
fn distance(draw: &mut Draw) -> Posed {
    let (north, east) = (draw.between(2, 12), draw.between(2, 12));
    let typed = format!("sqrt({north}^2 + {east}^2)");
    rounded_value(
        format!("The orchard lies {north} km north and {east} km east of the hive. How far is it in a straight line, in km? Round to 1 decimal place."),
        &typed,
        1,
    )
    .knows(
        World::by(formulas::HYPOTENUSE)
            .given("way to the north", "a", north, "km")
            .given("way to the east", "b", east, "km")
            .asked("straight line", "c", &typed, "km"),
    )
    .slip(told(&format!("{north} + {east}")), slip::SINE_FOR_COSINE)
    .slip(told(&format!("{north}^2 + {east}^2")), slip::FROM_EAST)
    .near([told(&format!("{typed} + 1")), told(&format!("{typed} + 2"))])
    .way(
        method::NORTH_LINE,
        Lines::start(&typed)
            .then(&format!("sqrt({})", north * north + east * east), "North and east make a right angle: Pythagoras")
            .round(&told(&typed), "Take the root, and round to 1 decimal place"),
    )
    .answered(format!("It is about {} km.", nearest(&typed, 1)), "km")
}

/// The dance tells the angle to the sun.
fn dance(draw: &mut Draw) -> Posed {
    let sun = draw.between(80, 280);
    let turn = draw.between(10, 75);
    let right = draw.coin();
    let (sign, side, bearing) =
        if right { ('+', "right", sun + turn) } else { ('-', "left", sun - turn) };
    let answer = digits(bearing);
    let claim = format!("{sun} {sign} {turn} = {bearing}");
    let name = scenario::name(draw);
    Posed::shown(
        format!("A bee dances on the comb. Straight up stands for the sun, and the dance points {turn}° to the {side} of straight up. {name} reads the sun's bearing as {}. On which bearing do the flowers lie?", digits(sun)),
        answer.clone(),
        vec![line(&claim)],
    )
    .slip(digits(if right { sun - turn } else { sun + turn }), slip::FROM_EAST)
    .slip(digits(bearing + 180), slip::BACK_BEARING_OFF)
    .slip(digits(turn), slip::FROM_EAST)
    .way(
        method::NORTH_LINE,
        Lines::default()
            .work(&claim, if right { "To the right of the sun: turn on clockwise" } else { "To the left of the sun: turn back" })
            .end(format!("The flowers lie on a bearing of {answer}.")),
    )
    // Where the sun stands is given; where the flowers lie is asked.
    .figure(figure(sun, &digits(sun)))
}

/// Two legs at a right angle, or one north and one on a bearing.
fn two_legs(index: usize, draw: &mut Draw) -> Posed {
    let name = scenario::name(draw);
    let (a, b) = (draw.between(3, 12), draw.between(3, 12));
    if index.is_multiple_of(2) {
        let bearing = draw.between(10, 80);
        let typed = format!("{a} + {b} × cos({bearing}°)");
        return rounded_value(
            format!("{name} walks {a} km due north and then {b} km on a bearing of {}. How far north of the start is {name} then, in km? Round to 1 decimal place.", digits(bearing)),
            &typed,
            1,
        )
        .knows(
            World::new()
                .given("first leg", "", a, "km")
                .given("second leg", "", b, "km")
                .given("bearing", "", format!("{bearing}°"), "")
                .between("way north of the second leg", "", format!("{b} × cos({bearing}°)"), "km")
                .asked("way north", "", &typed, "km"),
        )
        .slip(told(&format!("{a} + {b} × sin({bearing}°)")), slip::SINE_FOR_COSINE)
        .slip(told(&format!("{b} × cos({bearing}°)")), slip::FROM_EAST)
        .near([told(&format!("{a} + {b}.0")), told(&format!("{typed} + 1"))])
        .way(
            method::NORTH_LINE,
            Lines::start(&typed)
                .say("The second leg goes north by its length times the cosine of the bearing.", "Draw a north line at the turn")
                .round(&told(&typed), "Work it out in degrees, and round to 1 decimal place"),
        )
        .answered(format!("It is about {} km north of the start.", nearest(&typed, 1)), "km");
    }
    let bearing = draw.between(10, 80);
    let typed = format!("sqrt({a}^2 + {b}^2)");
    rounded_value(
        format!("{name} cycles {a} km on a bearing of {} and then {b} km on a bearing of {}. How far is {name} from the start, in km? Round to 1 decimal place.", digits(bearing), digits(bearing + 90)),
        &typed,
        1,
    )
    .knows(
        World::by(formulas::HYPOTENUSE)
            .given("first leg", "a", a, "km")
            .given("second leg", "b", b, "km")
            .asked("distance", "c", &typed, "km"),
    )
    .slip(told(&format!("{a} + {b}.0")), slip::SINE_FOR_COSINE)
    .slip(told(&format!("sqrt({a}^2 + {b}^2) × cos({bearing}°)")), slip::FROM_EAST)
    .near([told(&format!("{typed} + 1")), told(&format!("{typed} + 2"))])
    .way(
        method::NORTH_LINE,
        Lines::default()
            .work(&format!("{} - {bearing} = 90", bearing + 90), "The turn is a right angle")
            .begin(&typed, "So Pythagoras holds")
            .then(&format!("sqrt({})", a * a + b * b), "Square and add")
            .round(&told(&typed), "Take the root, and round to 1 decimal place"),
    )
    .answered(format!("{name} is about {} km from the start.", nearest(&typed, 1)), "km")
}
