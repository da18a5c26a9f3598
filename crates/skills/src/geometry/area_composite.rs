//! Areas of shapes made of rectangles.
//!
//! Methods: split into rectangles; take a piece away from a larger one. What counts as nice: whole sides to 20.

use crate::kit::*;

/// The skill `area.composite`.
pub struct AreaComposite;

slips! {
    OVERLAP_COUNTED_TWICE = "overlap-counted-twice": "Does one piece lie on the other? Each square counts once.",
        "Counts the corner where two rectangles overlap twice.";
    MISSING_SIDE_GUESSED = "missing-side-guessed": "Look at the side across. How long must this one be?",
        "Takes a wrong length for a side that is not labelled.";
    PIECE_FORGOTTEN = "piece-forgotten": "Is the whole shape covered?",
        "Leaves one of the pieces out.";
    PERIMETER_FOR_AREA = "perimeter-for-area": "An area counts squares. What does a sum of sides tell?",
        "Works out the edge instead of the area.";
}

methods! {
    SPLIT = "split": "Split and add",
    SUBTRACT = "subtract": "Take a piece away",
}

impl Skill for AreaComposite {
    fn card(&self) -> Card {
        Card {
            id: "area.composite",
            strand: Strand::Geometry,
            grades: (4, 8),
            title: "Areas of composite shapes",
            objective: "I can find the area of a shape by splitting it, or by taking a piece away.",
            vocabulary: terms![
                "composite shape": "a shape made of simple ones",
                "rectangle": "a shape with four right angles",
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
            (Stage::Grip, _) => l_shape(draw),
            (Stage::Tilt, 0) => missing_side(draw),
            (Stage::Tilt, _) => cut_out(draw),
            (Stage::Climb, _) => cost(index, draw),
        }
    }
}

/// An L: a rectangle with a smaller one missing at a corner.
struct Ell {
    long: i64,
    high: i64,
    cut_long: i64,
    cut_high: i64,
}

impl Ell {
    fn drawn(draw: &mut Draw) -> Self {
        let (cut_long, cut_high) = (draw.between(2, 8), draw.between(2, 7));
        Self {
            long: cut_long + draw.between(2, 9),
            high: cut_high + draw.between(2, 8),
            cut_long,
            cut_high,
        }
    }

    fn area(&self) -> i64 {
        self.long * self.high - self.cut_long * self.cut_high
    }

    /// Below the cut, over the whole length; then what stands on it.
    fn split(&self) -> ((i64, i64), (i64, i64)) {
        ((self.long, self.high - self.cut_high), (self.long - self.cut_long, self.cut_high))
    }

    fn shape(&self, unit: &str) -> Figure {
        let (l, h, cl, ch) = (self.long, self.high, self.cut_long, self.cut_high);
        let corners = [(0, 0), (l, 0), (l, h - ch), (l - cl, h - ch), (l - cl, h), (0, h)];
        let sides = [l, h - ch, cl, ch, l - cl, h];
        Polygon::around(&corners, &sides.map(|side| format!("{side} {unit}"))).into()
    }
}

/// An L as two rectangles, and as a larger one without its corner.
fn pieces(ell: &Ell, unit: &str) -> World {
    let ((a, b), (c, d)) = ell.split();
    let in_squares = squared(unit);
    World::new()
        .given("length", "l", ell.long, unit)
        .given("width", "w", ell.high, unit)
        .given("length of the corner", "", ell.cut_long, unit)
        .given("width of the corner", "", ell.cut_high, unit)
        .between("lower rectangle", "", a * b, &in_squares)
        .between("upper rectangle", "", c * d, &in_squares)
        .between("whole rectangle", "", ell.long * ell.high, &in_squares)
        .between("corner", "", ell.cut_long * ell.cut_high, &in_squares)
}

fn area_of(prompt: String, ell: &Ell) -> Posed {
    let ((a, b), (c, d)) = ell.split();
    let (typed, area) = (format!("{a} × {b} + {c} × {d}"), ell.area());
    let whole = format!("{} × {} - {} × {}", ell.long, ell.high, ell.cut_long, ell.cut_high);
    Posed::value(prompt, line(&typed), line(&area.to_string()), Form::Any)
        .knows(pieces(ell, "cm").asked("area", "A", area, "cm²"))
        .slip(
            (ell.long * (ell.high - ell.cut_high) + (ell.long - ell.cut_long) * ell.high)
                .to_string(),
            slip::OVERLAP_COUNTED_TWICE,
        )
        .slip((ell.long * ell.high).to_string(), slip::MISSING_SIDE_GUESSED)
        .slip((a * b).to_string(), slip::PIECE_FORGOTTEN)
        .slip((2 * (ell.long + ell.high)).to_string(), slip::PERIMETER_FOR_AREA)
        .way(
            method::SPLIT,
            Lines::start(&typed)
                .then(&format!("{} + {}", a * b, c * d), "Two rectangles: work each out")
                .then(&area.to_string(), "Add them"),
        )
        .way(
            method::SUBTRACT,
            Lines::start(&typed)
                .then(&whole, "The same as the whole rectangle without the corner")
                .then(
                    &format!("{} - {}", ell.long * ell.high, ell.cut_long * ell.cut_high),
                    "Work each out",
                )
                .then(&area.to_string(), "Take the corner away"),
        )
}

fn l_shape(draw: &mut Draw) -> Posed {
    let ell = Ell::drawn(draw);
    let Ell { long, high, cut_long, cut_high } = ell;
    area_of(
        format!("A rectangle of {long} cm by {high} cm has a corner of {cut_long} cm by {cut_high} cm cut off, so that an L is left. What is its area in cm²?"),
        &ell,
    )
    .figure(ell.shape("cm"))
}

/// One side of an L follows from the others.
fn missing_side(draw: &mut Draw) -> Posed {
    let ell = Ell::drawn(draw);
    let Ell { long, high, cut_long, cut_high } = ell;
    let ((a, b), (c, d)) = ell.split();
    let equation = format!("{a} × {b} + {d}x = {}", ell.area());
    let corners = [
        (0, 0),
        (long, 0),
        (long, high - cut_high),
        (long - cut_long, high - cut_high),
        (long - cut_long, high),
        (0, high),
    ];
    let labels = [
        format!("{long} cm"),
        format!("{b} cm"),
        String::new(),
        format!("{d} cm"),
        "x".to_owned(),
        String::new(),
    ];
    let posed = Posed::equation(
        format!("An L is made of a rectangle of {a} cm by {b} cm and another, {d} cm high, that stands on it. The whole area is {} cm². How wide is the second rectangle in cm?", ell.area()),
        line(&equation),
        "x",
        from_int(c),
    )
    .figure(Polygon::around(&corners, &labels).into())
    .knows(
        World::new()
            .given("area", "A", ell.area(), "cm²")
            .given("length of the first rectangle", "", a, "cm")
            .given("width of the first rectangle", "", b, "cm")
            .given("height of the second rectangle", "", d, "cm")
            .between("first rectangle", "", a * b, "cm²")
            .between("second rectangle", "", c * d, "cm²")
            .asked("width", "x", c, "cm"),
    )
    .slip(fraction(ell.area(), d), slip::PIECE_FORGOTTEN)
    .slip((long - c).to_string(), slip::MISSING_SIDE_GUESSED)
    .near([(c + 1).to_string(), (ell.area() - a * b).to_string()])
    .answered(format!("It is {c} cm wide."), "cm");
    match board(&equation, "x", None) {
        Some(working) => posed.way(method::SPLIT, working),
        None => posed,
    }
}

/// A window or a pond within a rectangle.
fn cut_out(draw: &mut Draw) -> Posed {
    let (inner_long, inner_high) = (draw.between(2, 7), draw.between(2, 6));
    let (long, high) = (inner_long + draw.between(3, 9), inner_high + draw.between(3, 8));
    let (whole, hole) = (long * high, inner_long * inner_high);
    let typed = format!("{long} × {high} - {inner_long} × {inner_high}");
    let (thing, inside, unit) = *draw.one_of(&[
        ("wall of the honey room", "window", "dm"),
        ("lawn", "pond", "m"),
        ("sheet of card", "hole", "cm"),
    ]);
    Posed::value(
        format!("A {thing} is {long} {unit} by {high} {unit}. In it there is a {inside} of {inner_long} {unit} by {inner_high} {unit}. What is the area of the rest in {unit}²?"),
        line(&typed),
        line(&(whole - hole).to_string()),
        Form::Any,
    )
    .knows(
        World::new()
            .given("length", "l", long, unit)
            .given("width", "w", high, unit)
            .given(&format!("length of the {inside}"), "", inner_long, unit)
            .given(&format!("width of the {inside}"), "", inner_high, unit)
            .between(&format!("whole {thing}"), "", whole, &squared(unit))
            .between(inside, "", hole, &squared(unit))
            .asked("rest", "A", whole - hole, &squared(unit)),
    )
    .slip(whole.to_string(), slip::PIECE_FORGOTTEN)
    .slip((whole + hole).to_string(), slip::OVERLAP_COUNTED_TWICE)
    .slip(((long - inner_long) * (high - inner_high)).to_string(), slip::MISSING_SIDE_GUESSED)
    .slip((2 * (long + high)).to_string(), slip::PERIMETER_FOR_AREA)
    .way(
        method::SUBTRACT,
        Lines::start(&typed)
            .then(&format!("{whole} - {hole}"), "Work both rectangles out")
            .then(&(whole - hole).to_string(), format!("Take the {inside} away")),
    )
}

/// What it costs to cover an L.
fn cost(index: usize, draw: &mut Draw) -> Posed {
    let ell = Ell::drawn(draw);
    let price = draw.between(2, 9);
    let Ell { long, high, cut_long, cut_high } = ell;
    let ((a, b), (c, d)) = ell.split();
    let (area, total) = (ell.area(), ell.area() * price);
    let name = scenario::name(draw);
    let (thing, cover) = [
        ("the floor of the honey room", "tiles"),
        ("a bed", "clover seed"),
        ("the yard behind the stall", "gravel"),
    ][index % 3];
    let typed = format!("({a} × {b} + {c} × {d}) × {price}");
    Posed::value(
        format!("{name} covers {thing} with {cover}. It is {long} m by {high} m, without a corner of {cut_long} m by {cut_high} m. One square metre costs {price} dollars. How many dollars does it cost?"),
        line(&typed),
        line(&total.to_string()),
        Form::Any,
    )
    .figure(ell.shape("m"))
    .knows(
        pieces(&ell, "m")
            .given("price of one square metre", "", price, "dollars")
            .between("area", "A", area, "m²")
            .asked("cost", "c", total, "dollars"),
    )
    .slip((long * high * price).to_string(), slip::MISSING_SIDE_GUESSED)
    .slip(area.to_string(), slip::PIECE_FORGOTTEN)
    .slip((2 * (long + high) * price).to_string(), slip::PERIMETER_FOR_AREA)
    .way(
        method::SPLIT,
        Lines::start(&typed)
            .then(&format!("({} + {}) × {price}", a * b, c * d), "Two rectangles: work each out")
            .then(&format!("{area} × {price}"), "Add them: the area in square metres")
            .then(&total.to_string(), "Times the price of one square metre"),
    )
    .way(
        method::SUBTRACT,
        Lines::start(&typed)
            .then(&format!("({long} × {high} - {cut_long} × {cut_high}) × {price}"), "The whole without the corner")
            .then(&format!("({} - {}) × {price}", long * high, cut_long * cut_high), "Work each out")
            .then(&format!("{area} × {price}"), "Subtract: the area in square metres")
            .then(&total.to_string(), "Times the price of one square metre"),
    )
    .answered(format!("It costs {total} dollars."), "dollars")
}
