//! The theorem of Pythagoras.
//!
//! Source: Euclid, *Elements*, book I, propositions 47 and 48. What counts as nice: whole sides on Grip.

use crate::kit::*;

/// The skill `pythagoras`.
pub struct Pythagoras;

slips! {
    ADDED_FOR_LEG = "added-for-leg": "Is the longest side known, or asked for?",
        "Adds the squares where they should be subtracted.";
    SIDES_ADDED = "sides-added": "Squares are added, not lengths.",
        "Adds the sides themselves.";
    ROOT_NOT_TAKEN = "root-not-taken": "You have the square of the side.",
        "Stops at the square of the side.";
}

methods! {
    FORMULA = "formula": "Formula",
    SQUARES_ON_SIDES = "squares-on-sides": "Squares on the sides",
}

impl Skill for Pythagoras {
    fn card(&self) -> Card {
        Card {
            id: "pythagoras",
            strand: Strand::Geometry,
            grades: (7, 10),
            title: "The theorem of Pythagoras",
            objective: "I can find a side of a right-angled triangle from the other two.",
            vocabulary: terms![
                "hypotenuse": "the side across from the right angle, the longest one",
                "leg": "a side at the right angle",
                "right angle": "a quarter turn, 90 degrees",
            ],
            methods: METHODS,
        }
    }

    fn slips(&self) -> &'static [&'static dyn Slip] {
        SLIPS
    }

    fn pose(&self, stage: Stage, index: usize, draw: &mut Draw) -> Posed {
        match (stage, index % 3) {
            (Stage::Grip, _) => side(index, draw),
            (Stage::Tilt, 0) => is_right(draw),
            (Stage::Tilt, _) => exact_root(draw),
            (Stage::Climb, _) => story(draw),
        }
    }
}

/// Whole sides by Euclid's rule (book X, proposition 29, lemma), enlarged.
fn triple(draw: &mut Draw, largest: i64) -> (i64, i64, i64) {
    loop {
        let (n, m) = draw.coprime(1, 6);
        let k = draw.between(1, 4);
        let (a, b, c) = (k * (m * m - n * n), 2 * k * m * n, k * (m * m + n * n));
        if (m - n) % 2 == 1 && c <= largest {
            return (a.min(b), a.max(b), c);
        }
    }
}

/// The triangle with its right angle at the lower left; the side that is asked for has its letter.
fn triangle(labels: [String; 3], (across, up): (i64, i64)) -> Figure {
    let [base, hypotenuse, height] = labels;
    Polygon::around(&[(0, 0), (across, 0), (0, up)], &[base, hypotenuse, height]).right_at(0).into()
}

/// Asked for is the hypotenuse c, or the leg b.
fn world(of: [impl ToString; 3], is_leg: bool, unit: &str) -> World {
    let [a, b, c] = of.map(|side| side.to_string());
    let world = World::by(if is_leg { formulas::LEG } else { formulas::HYPOTENUSE });
    let world = world.and_by(formulas::PYTHAGORAS).given("leg", "a", &a, unit);
    let (world, square) = if is_leg {
        (world.given("hypotenuse", "c", &c, unit).asked("other leg", "b", &b, unit), b)
    } else {
        (world.given("other leg", "b", &b, unit).asked("hypotenuse", "c", &c, unit), c)
    };
    world.between("square on the side", "", format!("({square})^2"), &squared(unit))
}

fn hypotenuse(prompt: String, a: i64, b: i64, c: i64, unit: &str) -> Posed {
    let typed = format!("sqrt({a}^2 + {b}^2)");
    Posed::value(prompt, line(&typed), line(&c.to_string()), Form::Any)
        .figure(triangle([measured_in(b, unit), "c".into(), measured_in(a, unit)], (b, a)))
        .knows(world([a, b, c], false, unit))
        .slip((a + b).to_string(), slip::SIDES_ADDED)
        .slip((c * c).to_string(), slip::ROOT_NOT_TAKEN)
        .near([(c + 1).to_string(), (c - 1).to_string()])
        .way(
            method::FORMULA,
            Lines::start(&typed)
                .then(&format!("sqrt({} + {})", a * a, b * b), "Square the legs")
                .then(&format!("sqrt({})", c * c), "Add the squares")
                .then(&c.to_string(), "Take the root"),
        )
        .way(
            method::SQUARES_ON_SIDES,
            Lines::start(&typed)
                .then(
                    &format!("sqrt({})", a * a + b * b),
                    format!(
                        "The square on the hypotenuse is as large as both others: {} and {}",
                        a * a,
                        b * b
                    ),
                )
                .then(&c.to_string(), "Its side is the root"),
        )
}

fn leg(prompt: String, a: i64, b: i64, c: i64, unit: &str) -> Posed {
    let typed = format!("sqrt({c}^2 - {a}^2)");
    Posed::value(prompt, line(&typed), line(&b.to_string()), Form::Any)
        .figure(triangle([measured_in(a, unit), measured_in(c, unit), "b".into()], (a, b)))
        .knows(world([a, b, c], true, unit))
        .slip((c - a).to_string(), slip::SIDES_ADDED)
        .slip((b * b).to_string(), slip::ROOT_NOT_TAKEN)
        .near([(b + 1).to_string(), (b + 2).to_string()])
        .way(
            method::FORMULA,
            Lines::start(&typed)
                .then(&format!("sqrt({} - {})", c * c, a * a), "Square both known sides")
                .then(&format!("sqrt({})", b * b), "Take the square of the leg away")
                .then(&b.to_string(), "Take the root"),
        )
}

fn side(index: usize, draw: &mut Draw) -> Posed {
    let (a, b, c) = triple(draw, 60);
    if index.is_multiple_of(2) {
        hypotenuse(
            format!(
                "The legs of a right-angled triangle are {a} cm and {b} cm long. How long is the hypotenuse in cm?"
            ),
            a,
            b,
            c,
            "cm",
        )
    } else {
        leg(
            format!(
                "The hypotenuse of a right-angled triangle is {c} cm long and one leg {a} cm. How long is the other leg in cm?"
            ),
            a,
            b,
            c,
            "cm",
        )
    }
}

fn is_right(draw: &mut Draw) -> Posed {
    let (a, b, c) = triple(draw, 45);
    let off = if draw.coin() { 0 } else { *draw.one_of(&[-1, 1]) };
    let c = c + off;
    let claim = format!("{a}^2 + {b}^2 = {c}^2");
    let sign = match off {
        0 => '=',
        -1 => '>',
        _ => '<',
    };
    let word = if off == 0 { "true" } else { "false" };
    Posed::claim(format!("True or false? A triangle with sides of {a} cm, {b} cm and {c} cm has a right angle. Say why."), line(&claim), off == 0)
        .way(method::SQUARES_ON_SIDES, Lines::default()
            .work(&format!("{a}^2 + {b}^2 = {}", a * a + b * b), "Add the squares of the shorter sides")
            .work(&format!("{} {sign} {c}^2", a * a + b * b), "Compare with the square of the longest")
            .end(format!("It is {word}.")))
}

fn exact_root(draw: &mut Draw) -> Posed {
    let (k, m) = (draw.between(2, 9), draw.between(1, 5));
    let (a, b) = (k, k * m);
    let (outside, rest) = out_of_root(a * a + b * b);
    let answer = format!("{outside} sqrt({rest})");
    let typed = format!("sqrt({a}^2 + {b}^2)");
    Posed::value(
        format!("The legs of a right-angled triangle are {a} cm and {b} cm long. Give the hypotenuse in cm as a simplified root."),
        line(&typed),
        line(&answer),
        Form::SimplifiedRadical,
    )
    .knows(world([a.to_string(), b.to_string(), answer.clone()], false, "cm"))
    .slip((a + b).to_string(), slip::SIDES_ADDED)
    .slip((a * a + b * b).to_string(), slip::ROOT_NOT_TAKEN)
    .near([format!("{} sqrt({rest})", outside + 1), format!("{outside} sqrt({})", rest + 2)])
    .way(method::FORMULA, Lines::start(&typed)
        .then(&format!("sqrt({})", a * a + b * b), "Square the legs and add")
        .then(&answer, "Take the square factor out"))
}

fn story(draw: &mut Draw) -> Posed {
    let (a, b, c) = triple(draw, 50);
    let name = scenario::name(draw);
    match draw.between(0, 2) {
        0 => leg(format!("A ladder of {c} dm leans on the wall of the honey room. Its foot stands {a} dm from the wall. How high does it reach, in dm?"), a, b, c, "dm")
            .answered(format!("It reaches {b} dm high."), "dm"),
        1 => hypotenuse(format!("{name} walks {a} m east and {b} m north through the bee garden. How far is it straight back, in m?"), a, b, c, "m")
            .answered(format!("It is {c} m straight back."), "m"),
        _ => hypotenuse(format!("A frame of wood is {a} cm by {b} cm. How long is the brace from corner to corner, in cm?"), a, b, c, "cm")
            .answered(format!("The brace is {c} cm long."), "cm"),
    }
}
