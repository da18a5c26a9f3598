//! The way around a circle.
//!
//! Methods: π times the diameter; 2π times the radius. Source: Archimedes, *Measurement of a circle*. What counts as nice:
//! whole radii to 20.

use crate::kit::*;

/// The skill `circle.circumference`.
pub struct Circumference;

slips! {
    RADIUS_FOR_DIAMETER = "radius-for-diameter": "From the middle to the edge, or right across?",
        "Takes the radius for the diameter, or the diameter for the radius.";
    AREA_FOR_CIRCUMFERENCE = "area-for-circumference": "Do you want the way around, or the squares inside?",
        "Works out the area.";
    PI_FORGOTTEN = "pi-forgotten": "The way around is a little more than three times the way across.",
        "Leaves π out.";
}

methods! {
    PI_D = "pi-d": "π times the diameter",
    TWO_PI_R = "two-pi-r": "2π times the radius",
}

impl Skill for Circumference {
    fn card(&self) -> Card {
        Card {
            id: "circle.circumference",
            strand: Strand::Geometry,
            grades: (6, 9),
            title: "The circumference of a circle",
            objective: "I can find the way around a circle, and the radius from it.",
            vocabulary: terms![
                "circumference": "the way around a circle",
                "diameter": "the way across through the centre",
                "radius": "the way from the centre to the edge",
                "arc": "a part of the circumference",
            ],
            methods: METHODS,
        }
    }

    fn slips(&self) -> &'static [&'static dyn Slip] {
        SLIPS
    }

    fn pose(&self, stage: Stage, index: usize, draw: &mut Draw) -> Posed {
        match (stage, index % 3) {
            (Stage::Grip, _) => around(index, draw),
            (Stage::Tilt, _) => radius(index, draw),
            (Stage::Climb, 0) => arc(draw),
            (Stage::Climb, _) => story(index, draw),
        }
    }
}

fn told(typed: &str) -> String {
    format!("≈ {}", nearest(typed, 1))
}

/// From the radius and from the diameter in turn, exact and rounded.
fn around(index: usize, draw: &mut Draw) -> Posed {
    let r = draw.between(2, 20);
    let d = 2 * r;
    let from_radius = index.is_multiple_of(2);
    let (given, size) = if from_radius { ("radius", r) } else { ("diameter", d) };
    let typed = if from_radius { format!("2π × {r}") } else { format!("π × {d}") };
    let exact = format!("{d}π");
    let is_exact = index % 4 < 2;
    let figure = Circle {
        radius: if from_radius { format!("{r} cm") } else { String::new() },
        diameter: if from_radius { String::new() } else { format!("{d} cm") },
        ..Circle::default()
    };
    let world = if from_radius {
        World::by(formulas::CIRCUMFERENCE)
            .and_by(formulas::DIAMETER)
            .given("radius", "r", r, "cm")
            .between("diameter", "d", d, "cm")
    } else {
        World::by(formulas::CIRCUMFERENCE_ACROSS)
            .and_by(formulas::DIAMETER)
            .given("diameter", "d", d, "cm")
            .between("radius", "r", r, "cm")
    };
    let world = world.asked("circumference", "C", &exact, "cm");
    let start = |typed: &str| Lines::start(typed);
    let (pi_d, two_pi_r) = (format!("π × {d}"), format!("2π × {r}"));
    let mut by_d = start(&typed);
    if from_radius {
        by_d = by_d.then(&pi_d, format!("The diameter is twice the radius: {d} cm"));
    }
    by_d = by_d.then(&exact, "π times the diameter");
    let mut by_r = start(&typed);
    if !from_radius {
        by_r = by_r.then(&two_pi_r, format!("The radius is half of the diameter: {r} cm"));
    }
    by_r = by_r.then(&exact, "2 times the radius, times π");
    let prompt = |how: &str| {
        format!("A circle has a {given} of {size} cm. What is its circumference in cm? {how}")
    };
    if is_exact {
        Posed::value(prompt("Give it exactly, with π."), line(&typed), line(&exact), Form::Exact)
            .slip(
                if from_radius { format!("{r}π") } else { format!("{}π", 2 * d) },
                slip::RADIUS_FOR_DIAMETER,
            )
            .slip(format!("{}π", r * r), slip::AREA_FOR_CIRCUMFERENCE)
            .slip(d.to_string(), slip::PI_FORGOTTEN)
            .near([format!("{}π", d + 2), format!("{}π", 3 * d)])
            .way(method::PI_D, by_d)
            .way(method::TWO_PI_R, by_r)
            .figure(figure.into())
            .knows(world)
    } else {
        let rounded = told(&exact);
        let why = "Work it out, and round to 1 decimal place";
        rounded_value(prompt("Round to 1 decimal place."), &typed, 1)
            .slip(
                told(&if from_radius { format!("{r}π") } else { format!("{}π", 2 * d) }),
                slip::RADIUS_FOR_DIAMETER,
            )
            .slip(told(&format!("{}π", r * r)), slip::AREA_FOR_CIRCUMFERENCE)
            .near([
                told(&format!("{}π", d + 2)),
                told(&format!("{}π", 3 * d)),
                told(&format!("{d}π + 1")),
            ])
            .way(method::PI_D, by_d.round(&rounded, why))
            .way(method::TWO_PI_R, by_r.round(&rounded, why))
            .figure(figure.into())
            .knows(world)
    }
}

/// Back from the circumference.
fn radius(index: usize, draw: &mut Draw) -> Posed {
    if index.is_multiple_of(3) {
        let r = draw.between(2, 30);
        let equation = format!("2π r = {}π", 2 * r);
        return Posed::equation(
            format!(
                "The circumference of a circle is {} cm. What is its radius in cm?",
                tex(&format!("{}π", 2 * r))
            ),
            line(&equation),
            "r",
            from_int(r),
        )
        .knows(
            World::by(formulas::CIRCUMFERENCE)
                .given("circumference", "C", format!("{}π", 2 * r), "cm")
                .between("diameter", "d", 2 * r, "cm")
                .asked("radius", "r", r, "cm"),
        )
        .slip((2 * r).to_string(), slip::RADIUS_FOR_DIAMETER)
        .near([(4 * r).to_string(), fraction(r, 2)])
        .way(
            method::TWO_PI_R,
            Lines::start(&equation)
                .then(&format!("r = {}π/(2π)", 2 * r), "Divide both sides by 2π")
                .then(&format!("r = {r}"), "Cancel"),
        )
        .figure(Circle { radius: "r".into(), ..Circle::default() }.into());
    }
    let (thing, low, high, unit) = *draw.one_of(&[
        ("round flower bed", 12, 60, "m"),
        ("tree trunk", 60, 190, "cm"),
        ("bucket", 70, 110, "cm"),
        ("wheel of the honey cart", 100, 190, "cm"),
    ]);
    let c = draw.between(low, high);
    let equation = format!("2π r = {c}");
    let exact = format!("{c}/(2π)");
    let told = |typed: &str| format!("r ≈ {}", nearest(typed, 1));
    rounded_solution(
        format!("It is {c} {unit} around a {thing}. What is its radius in {unit}? Round to 1 decimal place."),
        &equation,
        "r",
        &exact,
        1,
    )
    .knows(
        World::by(formulas::CIRCUMFERENCE)
            .given("circumference", "C", c, unit)
            .between("diameter", "d", format!("{c}/π"), unit)
            .asked("radius", "r", &exact, unit),
    )
    .slip(told(&format!("{c}/π")), slip::RADIUS_FOR_DIAMETER)
    .slip(told(&format!("sqrt({c}/π)")), slip::AREA_FOR_CIRCUMFERENCE)
    .slip(told(&format!("{c}/2")), slip::PI_FORGOTTEN)
    .way(
        method::TWO_PI_R,
        Lines::start(&equation)
            .then(&format!("r = {exact}"), "Divide both sides by 2π")
            .round(&told(&exact), "Work it out, and round to 1 decimal place"),
    )
    .figure(Circle { radius: "r".into(), ..Circle::default() }.into())
}

/// A part of the way around.
fn arc(draw: &mut Draw) -> Posed {
    let (r, angle) =
        (draw.between(3, 20), *draw.one_of(&[30, 40, 45, 60, 72, 90, 120, 135, 150, 240, 270]));
    let typed = format!("{angle}/360 × 2π × {r}");
    let share = fraction(angle, 360);
    rounded_value(
        format!("An arc belongs to an angle of {angle}° at the centre of a circle with radius {r} cm. How long is the arc in cm? Round to 1 decimal place."),
        &typed,
        1,
    )
    .knows(
        World::by(formulas::ARC)
            .given("angle", "α", angle, "")
            .given("radius", "r", r, "cm")
            .between("share of a full turn", "", &share, "")
            .between("circumference", "C", format!("{}π", 2 * r), "cm")
            .asked("arc", "l", &typed, "cm"),
    )
    .slip(told(&format!("{angle}/360 × π × {r}")), slip::RADIUS_FOR_DIAMETER)
    .slip(told(&format!("{angle}/360 × π × {r}^2")), slip::AREA_FOR_CIRCUMFERENCE)
    .near([told(&format!("2π × {r}")), told(&format!("{typed} × 2")), told(&format!("{typed} + 1"))])
    .way(
        method::TWO_PI_R,
        Lines::start(&typed)
            .then(&format!("({share}) × {}π", 2 * r), format!("The angle is {} of a full turn", tex(&share)))
            .then(&format!("({})π", fraction(angle * 2 * r, 360)), "Multiply")
            .round(&told(&typed), "Work it out, and round to 1 decimal place"),
    )
    .figure(
        Circle {
            radius: format!("{r} cm"),
            arc: Some([0.0, f64::from(i32::try_from(angle).unwrap_or(90))]),
            central: format!("{angle}°"),
            ..Circle::default()
        }
        .into(),
    )
}

fn story(index: usize, draw: &mut Draw) -> Posed {
    let name = scenario::name(draw);
    if index % 3 == 1 {
        let (d, turns) = (draw.between(20, 65), draw.between(3, 20));
        return rolled_out(
            format!(
                "The wheel of {name}'s honey cart is {d} cm across. How far does the cart roll in {turns} turns, in cm?"
            ),
            &format!("π × {d} × {turns}"),
            &format!("{}π", d * turns),
            [&format!("2π × {d} × {turns}"), &format!("{d} × {turns}")],
            "cm",
        );
    }
    let (r, more) = (draw.between(3, 8), draw.between(1, 4));
    let (text, unit) = if draw.coin() {
        (
            format!(
                "A label goes once around a jar of radius {r} cm and overlaps by {more} cm. How long must {name} cut it, in cm?"
            ),
            "cm",
        )
    } else {
        (
            format!(
                "{name} ties a ribbon around a round gift of radius {r} dm and leaves {more} dm for the bow. How long is the ribbon in dm?"
            ),
            "dm",
        )
    };
    rolled_out(
        text,
        &format!("2π × {r} + {more}"),
        &format!("{}π + {more}", 2 * r),
        [&format!("π × {r} + {more}"), &format!("2 × {r} + {more}")],
        unit,
    )
}

/// A length with π in it, exact and then rounded; the wrong ones take the radius for the diameter and leave π out.
fn rolled_out(prompt: String, typed: &str, exact: &str, wrong: [&str; 2], unit: &str) -> Posed {
    let answer = nearest(typed, 1);
    rounded_value(format!("{prompt} Round to 1 decimal place."), typed, 1)
        .slip(told(wrong[0]), slip::RADIUS_FOR_DIAMETER)
        .slip(told(wrong[1]), slip::PI_FORGOTTEN)
        .near([told(&format!("{typed} + 1")), told(&format!("2 × ({typed})"))])
        .way(
            method::PI_D,
            Lines::start(typed)
                .then(exact, "Multiply what stands with π")
                .round(&format!("≈ {answer}"), "Work it out, and round to 1 decimal place"),
        )
        .answered(format!("About {answer} {unit}."), unit)
}
