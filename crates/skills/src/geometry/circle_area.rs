//! The area of a circle.
//!
//! Method: π times the square of the radius. Source: Archimedes, *Measurement of a circle*, proposition 1. What counts as
//! nice: whole radii to 20.

use crate::kit::*;

/// The skill `circle.area`.
pub struct CircleArea;

slips! {
    PI_SQUARED_TOO = "pi-squared-too": "Square the radius first, then take π times that.",
        "Squares π times the radius.";
    DIAMETER_FOR_RADIUS = "diameter-for-radius": "From the middle to the edge, or right across?",
        "Takes the diameter for the radius.";
    CIRCUMFERENCE_FOR_AREA = "circumference-for-area": "Do you want the squares inside, or the way around?",
        "Works out the circumference.";
    RADIUS_DOUBLED = "radius-doubled": "A square is a number times itself.",
        "Doubles the radius instead of squaring it.";
    ROOT_NOT_TAKEN = "root-not-taken": "You have the square of the radius.",
        "Stops at the square of the radius.";
}

methods! {
    PI_R_SQUARED = "pi-r-squared": "π times the radius squared",
}

impl Skill for CircleArea {
    fn card(&self) -> Card {
        Card {
            id: "circle.area",
            strand: Strand::Geometry,
            grades: (6, 9),
            title: "The area of a circle",
            objective: "I can find the area of a circle, a ring and a sector.",
            vocabulary: terms![
                "area": "how many unit squares cover it",
                "radius": "the way from the centre to the edge",
                "sector": "a slice of a circle",
                "ring": "what lies between two circles with one centre",
            ],
            methods: METHODS,
        }
    }

    fn slips(&self) -> &'static [&'static dyn Slip] {
        SLIPS
    }

    fn pose(&self, stage: Stage, index: usize, draw: &mut Draw) -> Posed {
        match (stage, index % 3) {
            (Stage::Grip, _) => area(index, draw),
            (Stage::Tilt, 2) => find_the_slip(draw),
            (Stage::Tilt, _) => radius(index, draw),
            (Stage::Climb, 0) => ring(draw),
            (Stage::Climb, 1) => sector(draw),
            (Stage::Climb, _) => story(draw),
        }
    }
}

fn told(typed: &str) -> String {
    format!("≈ {}", nearest(typed, 1))
}

const ROUND: &str = "Work it out, and round to 1 decimal place";

/// From the radius and from the diameter in turn, exact and rounded.
fn area(index: usize, draw: &mut Draw) -> Posed {
    let r = draw.between(2, 20);
    let from_radius = index.is_multiple_of(2);
    let (given, size) = if from_radius { ("radius", r) } else { ("diameter", 2 * r) };
    let figure = Circle {
        radius: if from_radius { format!("{r} cm") } else { String::new() },
        diameter: if from_radius { String::new() } else { format!("{} cm", 2 * r) },
        ..Circle::default()
    };
    let typed = if from_radius { format!("π × {r}^2") } else { format!("π × ({}/2)^2", 2 * r) };
    let exact = format!("{}π", r * r);
    let mut lines = Lines::start(&typed);
    if !from_radius {
        lines = lines.then(&format!("π × {r}^2"), "The radius is half of the diameter");
    }
    lines = lines.then(&exact, "Square the radius");
    let prompt =
        |how: &str| format!("A circle has a {given} of {size} cm. What is its area in cm²? {how}");
    let world = if from_radius {
        World::by(formulas::CIRCLE).given("radius", "r", r, "cm")
    } else {
        World::by(formulas::CIRCLE_ACROSS)
            .and_by(formulas::CIRCLE)
            .given("diameter", "d", size, "cm")
            .between("radius", "r", r, "cm")
    };
    let world =
        world.between("square of the radius", "", r * r, "cm²").asked("area", "A", &exact, "cm²");
    let other = if from_radius { 2 * r } else { r };
    if index % 4 < 2 {
        Posed::value(prompt("Give it exactly, with π."), line(&typed), line(&exact), Form::Exact)
            .slip(format!("{}π", size * size), slip::DIAMETER_FOR_RADIUS)
            .slip(format!("{}π", 2 * r), slip::CIRCUMFERENCE_FOR_AREA)
            .slip(format!("{}π^2", r * r), slip::PI_SQUARED_TOO)
            .near([format!("{}π", other * other + 1), format!("{}π", r * r + r)])
            .way(method::PI_R_SQUARED, lines)
            .figure(figure.into())
            .knows(world)
    } else {
        rounded_value(prompt("Round to 1 decimal place."), &typed, 1)
            .slip(told(&format!("(π × {r})^2")), slip::PI_SQUARED_TOO)
            .slip(told(&format!("2π × {r}")), slip::CIRCUMFERENCE_FOR_AREA)
            .slip(told(&format!("π × {size}^2")), slip::DIAMETER_FOR_RADIUS)
            .near([told(&format!("{exact} + 1")), told(&format!("{exact} × 2"))])
            .way(method::PI_R_SQUARED, lines.round(&told(&exact), ROUND))
            .figure(figure.into())
            .knows(world)
    }
}

fn find_the_slip(draw: &mut Draw) -> Posed {
    let r = draw.between(2, 12);
    let (typed, wrong) = (format!("π × {r}^2"), format!("(π × {r})^2"));
    let exact = format!("{}π", r * r);
    let world =
        World::by(formulas::CIRCLE).given("radius", "r", r, "cm").asked("area", "A", &exact, "cm²");
    let posed = Posed::value(String::new(), line(&typed), line(&exact), Form::Exact)
        .knows(world)
        .slip(format!("{}π^2", r * r), slip::PI_SQUARED_TOO)
        .slip(format!("{}π", 2 * r), slip::RADIUS_DOUBLED)
        .near([format!("{}π", r * r + r), format!("{}π", 4 * r * r)])
        .way(method::PI_R_SQUARED, Lines::start(&typed).then(&exact, "Square the radius only"));
    let of = format!("the area of a circle with radius {r} cm");
    with_slip_in(posed, draw, &of, &[&typed, &wrong], 1, slip::PI_SQUARED_TOO)
}

/// Back from the area.
fn radius(index: usize, draw: &mut Draw) -> Posed {
    let figure = Circle { radius: "r".into(), ..Circle::default() };
    if index.is_multiple_of(3) {
        let r = draw.between(2, 20);
        let equation = format!("π r^2 = {}π", r * r);
        return Posed::equation(
            format!(
                "The area of a circle is {} cm². What is its radius in cm?",
                tex(&format!("{}π", r * r))
            ),
            line(&equation),
            "r",
            from_int(r),
        )
        .given("r > 0")
        .knows(
            World::by(formulas::CIRCLE)
                .given("area", "A", format!("{}π", r * r), "cm²")
                .between("square of the radius", "", r * r, "cm²")
                .asked("radius", "r", r, "cm"),
        )
        .slip((r * r).to_string(), slip::ROOT_NOT_TAKEN)
        .slip(fraction(r * r, 2), slip::RADIUS_DOUBLED)
        .near([(2 * r).to_string(), (r + 1).to_string()])
        .way(
            method::PI_R_SQUARED,
            Lines::start(&equation)
                .then(&format!("r^2 = {}", r * r), "Divide both sides by π")
                .then(&format!("r = {r}"), "Take the positive root"),
        )
        .figure(figure.into());
    }
    let area = draw.between(20, 400);
    let equation = format!("π r^2 = {area}");
    let exact = format!("sqrt({area}/π)");
    let told = |typed: &str| format!("r ≈ {}", nearest(typed, 1));
    let thing = *draw.one_of(&["round lid", "candle plate", "sieve", "smoker lid"]);
    rounded_solution(
        format!("A {thing} has an area of {area} cm². What is its radius in cm? Round to 1 decimal place."),
        &equation,
        "r",
        &exact,
        1,
    )
    .given("r > 0")
    .slip(told(&format!("{area}/π")), slip::ROOT_NOT_TAKEN)
    .slip(told(&format!("{area}/(2π)")), slip::CIRCUMFERENCE_FOR_AREA)
    .slip(told(&format!("sqrt({area})/π")), slip::PI_SQUARED_TOO)
    .way(
        method::PI_R_SQUARED,
        Lines::start(&equation)
            .then(&format!("r^2 = {area}/π"), "Divide both sides by π")
            .then(&format!("r = {exact}"), "Take the positive root")
            .round(&told(&exact), ROUND),
    )
    .figure(figure.into())
}

/// Between two circles.
fn ring(draw: &mut Draw) -> Posed {
    let inner = draw.between(2, 9);
    let outer = inner + draw.between(1, 6);
    let (thing, unit) = *draw.one_of(&[
        ("A path runs around a round pond", "m"),
        ("A wreath of wax leaves has a hole in the middle", "cm"),
        ("A ring of clover grows around a round hive stand", "m"),
    ]);
    let typed = format!("π × {outer}^2 - π × {inner}^2");
    rounded_value(
        format!("{thing}. The inner radius is {inner} {unit}, the outer radius {outer} {unit}. What is the area of the ring in {unit}²? Round to 1 decimal place."),
        &typed,
        1,
    )
    .slip(told(&format!("π × ({outer} - {inner})^2")), slip::PI_SQUARED_TOO)
    .slip(told(&format!("2π × {outer} - 2π × {inner}")), slip::CIRCUMFERENCE_FOR_AREA)
    .slip(told(&format!("π × {outer}^2")), slip::ROOT_NOT_TAKEN)
    .near([told(&format!("π × {outer}^2 + π × {inner}^2"))])
    .way(
        method::PI_R_SQUARED,
        Lines::start(&typed)
            .then(&format!("{}π - {}π", outer * outer, inner * inner), "Square both radii")
            .then(&format!("{}π", outer * outer - inner * inner), "Take the hole away")
            .round(&told(&typed), ROUND),
    )
    .answered(format!("About {} {unit}².", nearest(&typed, 1)), &format!("{unit}²"))
    .knows(
        World::by(formulas::RING)
            .given("outer radius", "R", outer, unit)
            .given("inner radius", "r", inner, unit)
            .between("outer circle", "", format!("{}π", outer * outer), &squared(unit))
            .between("inner circle", "", format!("{}π", inner * inner), &squared(unit))
            .asked("area", "A", &typed, &squared(unit)),
    )
    .figure(
        Circle {
            radius: format!("{outer} {unit}"),
            #[expect(clippy::cast_precision_loss, reason = "lengths of a drawing are small")]
            inner: Some(inner as f64 / outer as f64),
            inner_label: format!("{inner} {unit}"),
            ..Circle::default()
        }
        .into(),
    )
}

/// A slice.
fn sector(draw: &mut Draw) -> Posed {
    let (r, angle) =
        (draw.between(3, 15), *draw.one_of(&[30, 40, 45, 60, 72, 90, 120, 135, 150, 240, 270]));
    let typed = format!("{angle}/360 × π × {r}^2");
    let share = fraction(angle, 360);
    let (thing, unit, is_slice) = *draw.one_of(&[
        ("A garden hose sweeps a sector", "m", false),
        ("A slice of a round honey cake", "cm", true),
        ("A flower bed is a sector", "m", false),
    ]);
    let shape = if is_slice {
        format!("has an angle of {angle}° and a radius of {r} {unit}")
    } else {
        format!("of {angle}° with radius {r} {unit}")
    };
    rounded_value(
        format!("{thing} {shape}. What is its area in {unit}²? Round to 1 decimal place."),
        &typed,
        1,
    )
    .slip(told(&format!("{angle}/360 × 2π × {r}")), slip::CIRCUMFERENCE_FOR_AREA)
    .slip(told(&format!("π × {r}^2")), slip::ROOT_NOT_TAKEN)
    .slip(told(&format!("{angle}/360 × (π × {r})^2")), slip::PI_SQUARED_TOO)
    .near([told(&format!("{typed} × 2"))])
    .way(
        method::PI_R_SQUARED,
        Lines::start(&typed)
            .then(
                &format!("({share}) × {}π", r * r),
                format!("The angle is {} of a full turn", tex(&share)),
            )
            .then(&format!("({})π", fraction(angle * r * r, 360)), "Multiply")
            .round(&told(&typed), ROUND),
    )
    .answered(format!("About {} {unit}².", nearest(&typed, 1)), &format!("{unit}²"))
    .knows(
        World::by(formulas::SECTOR)
            .given("angle", "α", angle, "")
            .given("radius", "r", r, unit)
            .between("share of a full turn", "", &share, "")
            .between("full circle", "", format!("{}π", r * r), &squared(unit))
            .asked("area", "A", &typed, &squared(unit)),
    )
    .figure(
        Circle {
            radius: format!("{r} {unit}"),
            arc: Some([0.0, f64::from(i32::try_from(angle).unwrap_or(90))]),
            central: format!("{angle}°"),
            ..Circle::default()
        }
        .into(),
    )
}

/// Two round things compared, or one to be covered.
fn story(draw: &mut Draw) -> Posed {
    let name = scenario::name(draw);
    let d = 2 * draw.between(4, 20);
    let count = draw.between(3, 12);
    let (text, unit) = *draw.one_of(&[
        ("cuts {n} round cloths of {d} cm across from beeswax cloth. How much cloth is that in cm²?", "cm²"),
        ("paints {n} round lids of {d} cm across. How many cm² is that?", "cm²"),
        ("sows {n} round beds of {d} dm across. How many dm² is that?", "dm²"),
    ]);
    let text = text.replace("{n}", &count.to_string()).replace("{d}", &d.to_string());
    let (r, typed) = (d / 2, format!("{count} × π × ({d}/2)^2"));
    let answer = nearest(&typed, 1);
    rounded_value(format!("{name} {text} Round to 1 decimal place."), &typed, 1)
        .slip(told(&format!("{count} × π × {d}^2")), slip::DIAMETER_FOR_RADIUS)
        .slip(told(&format!("{count} × 2π × {r}")), slip::CIRCUMFERENCE_FOR_AREA)
        .slip(told(&format!("{count} × (π × {r})^2")), slip::PI_SQUARED_TOO)
        .near([told(&format!("π × {r}^2"))])
        .way(
            method::PI_R_SQUARED,
            Lines::start(&typed)
                .then(&format!("{count} × π × {r}^2"), "The radius is half of the diameter")
                .then(&format!("{}π", count * r * r), "Square the radius, and multiply")
                .round(&format!("≈ {answer}"), ROUND),
        )
        .answered(format!("About {answer} {unit}."), unit)
        .knows(
            World::new()
                .given("number of circles", "n", count, "")
                .given("diameter", "d", d, unit.trim_end_matches('²'))
                .between("radius", "r", r, unit.trim_end_matches('²'))
                .between("one circle", "", format!("{}π", r * r), unit)
                .asked("area", "A", &typed, unit),
        )
}
