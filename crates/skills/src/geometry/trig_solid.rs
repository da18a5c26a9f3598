//! Lengths and angles in solids.
//!
//! Method: two right-angled triangles, the second on the first. What counts as nice: whole edges.

use crate::kit::*;

/// The skill `trig.solid`.
pub struct Solid;

slips! {
    FACE_FOR_SPACE = "face-for-space": "Does your line stay in one face, or does it go through the middle?",
        "Takes the diagonal of a face for the diagonal of the box.";
    EDGES_ADDED = "edges-added": "Squares are added, not lengths.",
        "Adds the edges.";
    EDGE_FOR_PROJECTION = "edge-for-projection": "What is right below the line, on the floor?",
        "Takes an edge of the base instead of the line's shadow on it.";
    WHOLE_FOR_HALF = "whole-for-half": "How far is it from the foot of the height to the middle of a side?",
        "Takes the whole side where half of it is meant.";
}

methods! {
    TWO_TRIANGLES = "two-triangles": "Two right triangles",
}

impl Skill for Solid {
    fn card(&self) -> Card {
        Card {
            id: "trig.solid",
            strand: Strand::Geometry,
            grades: (10, 12),
            title: "Right triangles in solids",
            objective: "I can find lengths and angles in boxes and pyramids.",
            vocabulary: terms![
                "space diagonal": "the line through a box from corner to corner across",
                "projection": "the shadow of a line straight down on the base",
                "slant height": "the height of a side face of a pyramid",
            ],
            methods: METHODS,
        }
    }

    fn slips(&self) -> &'static [&'static dyn Slip] {
        SLIPS
    }

    fn pose(&self, stage: Stage, index: usize, draw: &mut Draw) -> Posed {
        match (stage, index % 3) {
            (Stage::Grip, _) => diagonal(index, draw),
            (Stage::Tilt, _) => angle(draw),
            (Stage::Climb, 0) => slant_height(draw),
            (Stage::Climb, 1) => fits_in(draw),
            (Stage::Climb, _) => slope_of_a_face(draw),
        }
    }
}

fn told(typed: &str) -> String {
    format!("≈ {}", nearest(typed, 1))
}

/// A box in projection, with its edges labelled and the space diagonal dashed.
#[expect(clippy::cast_precision_loss, reason = "edges of a drawing are small")]
fn boxed(a: i64, b: i64, c: i64, unit: &str) -> Figure {
    let (a, b, c) = (a as f64, b as f64, c as f64);
    // The edges that go back are drawn at half length and 45°.
    let back = b * 0.35;
    let corner = |x: f64, y: f64, z: f64| [x + y * 0.35, z + y * 0.35];
    let labelled = |n: f64| format!("{n} {unit}");
    Polygon {
        corners: vec![
            corner(0.0, 0.0, 0.0),
            corner(a, 0.0, 0.0),
            corner(a, 0.0, c),
            corner(0.0, 0.0, c),
        ],
        sides: vec![labelled(a), String::new(), String::new(), labelled(c)],
        ..Polygon::default()
    }
    .line(corner(a, 0.0, 0.0), corner(a, b, 0.0), labelled(b))
    .line(corner(a, b, 0.0), corner(a, b, c), "")
    .line(corner(a, 0.0, c), corner(a, b, c), "")
    .line(corner(0.0, 0.0, c), corner(0.0, b, c), "")
    .line([back, c + back], [a + back, c + back], "")
    .dashed(corner(0.0, 0.0, 0.0), corner(a, b, c), "d")
    .into()
}

/// A box with its edges, and what is asked of its diagonal.
fn box_of([a, b, c]: [i64; 3], unit: &str) -> World {
    World::by(formulas::DIAGONAL)
        .given("length", "a", a, unit)
        .given("width", "b", b, unit)
        .given("height", "c", c, unit)
        .between("diagonal of the floor", "f", format!("sqrt({})", a * a + b * b), unit)
        .between("its square", "", a * a + b * b, &squared(unit))
}

/// Edges whose space diagonal is whole: each a primitive one, enlarged.
const WHOLE: &[(i64, i64, i64, i64)] = &[
    (1, 2, 2, 3),
    (2, 3, 6, 7),
    (1, 4, 8, 9),
    (4, 4, 7, 9),
    (2, 6, 9, 11),
    (6, 6, 7, 11),
    (3, 4, 12, 13),
    (2, 5, 14, 15),
    (2, 10, 11, 15),
    (8, 9, 12, 17),
    (6, 10, 15, 19),
];

/// The diagonal of a box: whole first, then rounded.
fn diagonal(index: usize, draw: &mut Draw) -> Posed {
    let ask = |a: i64, b: i64, c: i64| {
        format!(
            "A box is {a} cm long, {b} cm wide and {c} cm high. How long is its space diagonal in cm?"
        )
    };
    if index.is_multiple_of(2) {
        let (a, b, c, d) = *draw.one_of(WHOLE);
        let k = draw.between(1, 4);
        let (a, b, c, d) = (k * a, k * b, k * c, k * d);
        let typed = format!("sqrt({a}^2 + {b}^2 + {c}^2)");
        return Posed::value(ask(a, b, c), line(&typed), line(&d.to_string()), Form::Any)
            .knows(box_of([a, b, c], "cm").asked("space diagonal", "d", d, "cm"))
            .slip((a + b + c).to_string(), slip::EDGES_ADDED)
            .near([(d + 1).to_string(), (d * d).to_string(), (d + 2).to_string()])
            .way(
                method::TWO_TRIANGLES,
                steps(&typed, a, b, c).then(&d.to_string(), "Take the root"),
            )
            .figure(boxed(a, b, c, "cm"));
    }
    let (a, b, c) = (draw.between(3, 20), draw.between(3, 20), draw.between(3, 20));
    let typed = format!("sqrt({a}^2 + {b}^2 + {c}^2)");
    rounded_value(format!("{} Round to 1 decimal place.", ask(a, b, c)), &typed, 1)
        .knows(box_of([a, b, c], "cm").asked("space diagonal", "d", &typed, "cm"))
        .slip(told(&format!("sqrt({a}^2 + {b}^2)")), slip::FACE_FOR_SPACE)
        .slip(told(&format!("{}.0", a + b + c)), slip::EDGES_ADDED)
        .near([told(&format!("sqrt({a}^2 + {c}^2)")), told(&format!("{typed} + 1"))])
        .way(
            method::TWO_TRIANGLES,
            steps(&typed, a, b, c)
                .round(&told(&typed), "Take the root, and round to 1 decimal place"),
        )
        .figure(boxed(a, b, c, "cm"))
}

fn steps(typed: &str, a: i64, b: i64, c: i64) -> Lines {
    Lines::default()
        .work(
            &format!("{a}^2 + {b}^2 = {}", a * a + b * b),
            "The square of the diagonal of the floor: Pythagoras",
        )
        .begin(typed, "With the height it makes the second right triangle")
        .then(
            &format!("sqrt({} + {})", a * a + b * b, c * c),
            "The floor's square, and the square of the height",
        )
        .then(&format!("sqrt({})", a * a + b * b + c * c), "Add")
}

/// The angle between the space diagonal and the floor.
fn angle(draw: &mut Draw) -> Posed {
    let (a, b, c) = (draw.between(3, 15), draw.between(3, 15), draw.between(3, 15));
    let floor = format!("sqrt({})", a * a + b * b);
    let (equation, exact) = (format!("tan A = {c}/{floor}"), format!("arctan({c}/{floor})"));
    let told = |exact: &str| format!("A ≈ {}°", nearest(&format!("{exact} × 180/π"), 1));
    let name = scenario::name(draw);
    let thing = *draw.one_of(&["crate", "hive", "parcel"]);
    Posed::solve(
        format!("A {thing} is {a} dm long, {b} dm wide and {c} dm high. {name} puts a rod in from a lower corner to the upper corner across. At which angle $A$ to the floor does it lie? Round to 1 decimal place of a degree."),
        line(&equation),
        "A",
        line(&told(&exact)),
    )
    .form(Form::Decimal(1))
    .given("0 < A < π/2")
    .knows(
        World::new()
            .given("length", "", a, "dm")
            .given("width", "", b, "dm")
            .given("height", "", c, "dm")
            .between("diagonal of the floor", "", &floor, "dm")
            .asked("angle", "A", &exact, "°"),
    )
    .slip(told(&format!("arctan({c}/{a})")), slip::EDGE_FOR_PROJECTION)
    .slip(told(&format!("arctan({c}/{b})")), slip::EDGE_FOR_PROJECTION)
    .slip(told(&format!("arctan({floor}/{c})")), slip::FACE_FOR_SPACE)
    .near([told(&format!("arctan({c}/{})", a + b)), told(&format!("({exact} + π/36)"))])
    .way(
        method::TWO_TRIANGLES,
        Lines::default()
            .work(&format!("{a}^2 + {b}^2 = {}", a * a + b * b), "The rod's shadow on the floor is the floor's diagonal")
            .begin(&equation, "Tangent is opposite over adjacent: height over shadow")
            .then(&format!("A = {exact}"), "Take the inverse")
            .round(&told(&exact), "Work it out in degrees, and round to 1 decimal place"),
    )
    .figure(boxed(a, b, c, "dm"))
}

/// A pyramid on a square: how high is a side face?
fn slant_height(draw: &mut Draw) -> Posed {
    let (half, high) = (draw.between(2, 9), draw.between(4, 15));
    let side = 2 * half;
    let typed = format!("sqrt({high}^2 + {half}^2)");
    let name = scenario::name(draw);
    let story = match draw.between(0, 2) {
        0 => format!("{name} builds a roof for a bee house: a pyramid"),
        1 => "The glass top of the seedling house is a pyramid".into(),
        _ => format!("For the garden gate {name} plans the cap of a post: a pyramid"),
    };
    rounded_value(
        format!("{story} on a square of {side} dm by {side} dm, {high} dm high. How high is one of its side faces, measured along the face, in dm? Round to 1 decimal place."),
        &typed,
        1,
    )
    .knows(
        World::by(formulas::HYPOTENUSE)
            .given("height", "a", high, "dm")
            .given("side of the square", "", side, "dm")
            .between("half of the side", "b", half, "dm")
            .asked("height of a face", "c", &typed, "dm"),
    )
    .slip(told(&format!("sqrt({high}^2 + {side}^2)")), slip::WHOLE_FOR_HALF)
    .slip(told(&format!("sqrt({high}^2 + 2 × {half}^2)")), slip::EDGE_FOR_PROJECTION)
    .slip(told(&format!("{}.0", high + half)), slip::EDGES_ADDED)
    .near([told(&format!("{typed} + 1")), told(&format!("{typed} + 2"))])
    .way(
        method::TWO_TRIANGLES,
        Lines::default()
            .work(&format!("{side} ÷ 2 = {half}"), "From the foot of the height to the middle of a side")
            .begin(&typed, "Height, half side and slant height make a right triangle")
            .then(&format!("sqrt({})", high * high + half * half), "Square and add")
            .round(&told(&typed), "Take the root, and round to 1 decimal place"),
    )
    .answered(format!("It is about {} dm high.", nearest(&typed, 1)), "dm")
}

/// How steep is a side face?
fn slope_of_a_face(draw: &mut Draw) -> Posed {
    let (half, high) = (draw.between(2, 9), draw.between(4, 15));
    let side = 2 * half;
    let (equation, exact) = (format!("tan A = {high}/{half}"), format!("arctan({high}/{half})"));
    let told = |exact: &str| format!("A ≈ {}°", nearest(&format!("{exact} × 180/π"), 1));
    let value = nearest(&format!("{exact} × 180/π"), 1);
    Posed::solve(
        format!("The roof of a bee house is a pyramid, {high} dm high, on a square of {side} dm by {side} dm. At which angle $A$ does each face rise from the floor? Round to 1 decimal place of a degree."),
        line(&equation),
        "A",
        line(&told(&exact)),
    )
    .form(Form::Decimal(1))
    .given("0 < A < π/2")
    .knows(
        World::new()
            .given("height", "", high, "dm")
            .given("side of the square", "", side, "dm")
            .between("half of the side", "", half, "dm")
            .asked("angle", "A", &exact, "°"),
    )
    .slip(told(&format!("arctan({high}/{side})")), slip::WHOLE_FOR_HALF)
    .slip(told(&format!("arctan({high}/({half} × sqrt(2)))")), slip::EDGE_FOR_PROJECTION)
    .near([told(&format!("arctan({half}/{high})")), told(&format!("({exact} + π/36)")), told(&format!("({exact} - π/30)"))])
    .way(
        method::TWO_TRIANGLES,
        Lines::default()
            .work(&format!("{side} ÷ 2 = {half}"), "From the foot of the height to the middle of a side")
            .begin(&equation, "Tangent is opposite over adjacent")
            .then(&format!("A = {exact}"), "Take the inverse")
            .round(&told(&exact), "Work it out in degrees, and round to 1 decimal place"),
    )
    .answered(format!("Each face rises at about {value}°."), "°")
}

/// Does a rod fit into a box?
fn fits_in(draw: &mut Draw) -> Posed {
    let (a, b, c) = (draw.between(4, 12), draw.between(4, 12), draw.between(4, 12));
    let square = a * a + b * b + c * c;
    let root = square.isqrt();
    let fits = draw.coin();
    let rod = if fits { root } else { root + 1 };
    let claim = format!("{rod}^2 <= {square}");
    let name = scenario::name(draw);
    let (word, sign) = if fits { ("true", "<=") } else { ("false", ">") };
    Posed::claim(
        format!("True or false? A straight rod of {rod} dm fits into a crate of {a} dm by {b} dm by {c} dm, if its thickness does not matter. {name} wants to know why."),
        line(&claim),
        fits,
    )
    .way(
        method::TWO_TRIANGLES,
        Lines::default()
            .work(&format!("{a}^2 + {b}^2 + {c}^2 = {square}"), "The square of the longest straight line inside")
            .work(&format!("{rod}^2 {sign} {square}"), "Compare with the square of the rod")
            .end(format!("It is {word}.")),
    )
    .figure(boxed(a, b, c, "dm"))
}
