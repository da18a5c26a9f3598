//! The area of a triangle.
//!
//! Source: Euclid, *Elements*, book I, proposition 41. What counts as nice: whole sides, one of them even.

use crate::kit::*;

/// The skill `area.triangle`.
pub struct AreaTriangle;

slips! {
    HALF_FORGOTTEN = "half-forgotten": "Base times height is which shape?",
        "Forgets the half.";
    SLANTED_SIDE = "slanted-side": "The height stands at a right angle on the base.",
        "Takes a slanted side for the height.";
    SIDES_ADDED = "sides-added": "An area counts squares. What does a sum of sides tell?",
        "Adds the sides.";
}

methods! {
    FORMULA = "formula": "Formula",
    HALF_A_RECTANGLE = "half-a-rectangle": "Half a rectangle",
}

impl Skill for AreaTriangle {
    fn card(&self) -> Card {
        Card {
            id: "area.triangle",
            strand: Strand::Geometry,
            grades: (5, 8),
            title: "The area of a triangle",
            objective: "I can find the area of a triangle from a base and its height.",
            vocabulary: terms![
                "base": "the side that the height stands on",
                "height": "the distance from the base to the corner across, at a right angle",
                "area": "how many unit squares cover it",
            ],
            methods: METHODS,
        }
    }

    fn slips(&self) -> &'static [&'static dyn Slip] {
        SLIPS
    }

    fn pose(&self, stage: Stage, index: usize, draw: &mut Draw) -> Posed {
        match (stage, index % 3) {
            (Stage::Grip, _) => area(draw),
            (Stage::Tilt, 1) => find_the_slip(draw),
            (Stage::Tilt, _) => height(draw),
            (Stage::Climb, 0) => composite(draw),
            (Stage::Climb, _) => story(draw),
        }
    }
}

fn sides(draw: &mut Draw) -> (i64, i64) {
    loop {
        let (b, h) = (draw.between(4, 30), draw.between(3, 24));
        if b * h % 2 == 0 && b != h {
            return (b, h);
        }
    }
}

/// A triangle on its base, to scale, with the side on its left and its height in dashes.
#[expect(clippy::cast_precision_loss, reason = "lengths of a drawing are small")]
fn triangle(b: i64, h: i64, slanted: i64, unit: &str) -> Figure {
    let (base, top) = (b as f64, h as f64);
    let foot = ((slanted * slanted - h * h).max(0) as f64).sqrt();
    let sides = vec![measured_in(b, unit), String::new(), measured_in(slanted, unit)];
    let corners = vec![[0.0, 0.0], [base, 0.0], [foot, top]];
    Polygon { corners, sides, ..Polygon::default() }
        .dashed([foot, 0.0], [foot, top], measured_in(h, unit))
        .into()
}

fn worked(prompt: String, b: i64, h: i64, slanted: i64, unit: &str) -> Posed {
    let typed = format!("1/2 × {b} × {h}");
    let value = b * h / 2;
    Posed::value(prompt, line(&typed), line(&value.to_string()), Form::Any)
        .figure(triangle(b, h, slanted, unit))
        .knows(
            World::by(formulas::TRIANGLE)
                .given("base", "b", b, unit)
                .given("height", "h", h, unit)
                .distracts("slanted side", "s", slanted, unit)
                .between("rectangle around it", "", b * h, &squared(unit))
                .asked("area", "A", value, &squared(unit)),
        )
        .slip((b * h).to_string(), slip::HALF_FORGOTTEN)
        .slip(fraction(b * slanted, 2), slip::SLANTED_SIDE)
        .slip((b + h + slanted).to_string(), slip::SIDES_ADDED)
        .way(
            method::FORMULA,
            Lines::start(&typed)
                .then(&format!("1/2 × {}", b * h), "Multiply base and height")
                .then(&value.to_string(), "Take the half"),
        )
        .way(
            method::HALF_A_RECTANGLE,
            Lines::start(&typed)
                .work(&format!("{b} × {h} = {}", b * h), "The rectangle around it")
                .then(&format!("{} ÷ 2", b * h), "The triangle is half of it")
                .then(&value.to_string(), "Work it out"),
        )
}

fn area(draw: &mut Draw) -> Posed {
    let (b, h) = sides(draw);
    let slanted = h + draw.between(1, 4);
    worked(
        format!(
            "A triangle has a base of {b} cm. The height on it is {h} cm, and another side is {slanted} cm. What is its area in cm²?"
        ),
        b,
        h,
        slanted,
        "cm",
    )
}

fn find_the_slip(draw: &mut Draw) -> Posed {
    let (b, h) = sides(draw);
    let posed = worked(String::new(), b, h, h + 1, "cm");
    let (typed, without) = (format!("1/2 × {b} × {h}"), format!("{b} × {h}"));
    let lines = [typed.as_str(), &without, &(b * h).to_string()];
    let of = format!("the area of a triangle with base {b} cm and height {h} cm");
    with_slip_in(posed, draw, &of, &lines, 1, slip::HALF_FORGOTTEN)
}

fn height(draw: &mut Draw) -> Posed {
    let (b, h) = sides(draw);
    let area = b * h / 2;
    let equation = format!("1/2 × {b} × h = {area}");
    Posed::equation(
        format!("A triangle has an area of {area} cm² and a base of {b} cm. How high is it in cm?"),
        line(&equation),
        "h",
        from_int(h),
    )
    .knows(
        World::by(formulas::TRIANGLE)
            .given("area", "A", area, "cm²")
            .given("base", "b", b, "cm")
            .between("rectangle around it", "", 2 * area, "cm²")
            .asked("height", "h", h, "cm"),
    )
    .slip(fraction(area, b), slip::HALF_FORGOTTEN)
    .slip((area - b).to_string(), slip::SIDES_ADDED)
    .way(
        method::FORMULA,
        Lines::start(&equation)
            .then(&format!("{b} × h = {}", 2 * area), "Double both sides")
            .then(&format!("h = {} ÷ {b}", 2 * area), format!("Divide both sides by {b}"))
            .then(&format!("h = {h}"), "Work it out"),
    )
}

fn composite(draw: &mut Draw) -> Posed {
    let (b, h) = sides(draw);
    let low = draw.between(3, 12);
    let typed = format!("{b} × {low} + 1/2 × {b} × {h}");
    let value = b * low + b * h / 2;
    Posed::value(
        format!("The front of a hive hut is a rectangle of {b} dm by {low} dm with a triangle of height {h} dm on its longer side of {b} dm. What is its area in dm²?").replace("its longer side", "the side"),
        line(&typed),
        line(&value.to_string()),
        Form::Any,
    )
    .knows(
        World::new()
            .given("base", "b", b, "dm")
            .given("height of the triangle", "h", h, "dm")
            .given("height of the rectangle", "", low, "dm")
            .between("rectangle", "", b * low, "dm²")
            .between("triangle", "", b * h / 2, "dm²")
            .asked("area", "A", value, "dm²"),
    )
    .slip((b * low + b * h).to_string(), slip::HALF_FORGOTTEN)
    .near([(b * (low + h) / 2).to_string(), (value + b).to_string(), (value - low).to_string()])
    .way(method::FORMULA, Lines::start(&typed)
        .then(&format!("{} + {}", b * low, b * h / 2), "Work out the rectangle and the triangle")
        .then(&value.to_string(), "Add them"))
    .answered(format!("Its area is {value} dm²."), "dm²")
}

fn story(draw: &mut Draw) -> Posed {
    let (b, h) = sides(draw);
    let name = scenario::name(draw);
    let slanted = h + draw.between(1, 3);
    let value = b * h / 2;
    let (prompt, unit) = match draw.between(0, 2) {
        0 => (
            format!(
                "{name} sews a pennant for the market stall: {b} dm along the pole and {h} dm out to the tip. How many dm² of cloth is that?"
            ),
            "dm",
        ),
        1 => (
            format!(
                "A bed of thyme is a triangle. One side is {b} m, and the corner across is {h} m away from it. What is its area in m²?"
            ),
            "m",
        ),
        _ => (
            format!(
                "A sail over the hives is a triangle with a base of {b} m and a height of {h} m. How many m² does it shade at noon?"
            ),
            "m",
        ),
    };
    let in_squares = squared(unit);
    worked(prompt, b, h, slanted, unit)
        .answered(format!("It is {value} {in_squares}."), &in_squares)
}
