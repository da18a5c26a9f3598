//! Shapes and solids: what their letters are called, and the formulas that join them.

use teaching::ids::MethodId;

/// A measure of a shape.
pub(super) struct Letter {
    pub letter: &'static str,
    /// What it is called; the first is how it is said.
    pub names: &'static [&'static str],
    /// The power of a length that it is: 0 for an angle.
    pub power: u32,
}

/// A shape with its formulas, each solved for one letter.
pub(super) struct Shape {
    /// What it is called; the first is how it is said.
    pub names: &'static [&'static str],
    pub letters: &'static [Letter],
    pub formulas: &'static [&'static str],
    /// The letters that numbers without a name stand for, in their order, by how many there are.
    pub loose: &'static [&'static [&'static str]],
    /// The skill of a letter, and its method.
    pub skills: &'static [(&'static str, &'static str, MethodId)],
}

const fn l(letter: &'static str, power: u32, names: &'static [&'static str]) -> Letter {
    Letter { letter, names, power }
}

use crate::geometry::{area_triangle, circle_area, circle_circumference, pythagoras};

const AREA: Letter = l("A", 2, &["area"]);
const PERIMETER: Letter = l("P", 1, &["perimeter"]);
const VOLUME: Letter = l("V", 3, &["volume", "capacity"]);
const SURFACE: Letter = l("S", 2, &["surface area", "total surface area"]);
const RADIUS: Letter = l("r", 1, &["radius"]);
const DIAMETER: Letter = l("d", 1, &["diameter"]);
const HEIGHT: Letter =
    l("h", 1, &["height", "perpendicular height", "vertical height", "high", "tall", "altitude"]);
const DEPTH: Letter = l("h", 1, &["height", "high", "tall", "depth", "deep", "thick", "thickness"]);
const LENGTH: Letter = l("l", 1, &["length", "long"]);
const WIDTH: Letter = l("w", 1, &["width", "wide", "breadth", "broad"]);
const SIDE: Letter = l(
    "s",
    1,
    &[
        "side",
        "sides",
        "side length",
        "side lengths",
        "edge",
        "edges",
        "edge length",
        "length",
        "sides of length",
    ],
);

pub(super) const SHAPES: &[Shape] = &[
    Shape {
        names: &["equilateral triangle"],
        letters: &[AREA, PERIMETER, SIDE, HEIGHT],
        formulas: &["P = 3s", "s = P/3", "A = sqrt(3)/4 s^2", "h = sqrt(3)/2 s"],
        loose: &[&["s"]],
        skills: &[],
    },
    Shape {
        names: &["right triangle", "right angled triangle", "right-angled triangle"],
        letters: &[
            AREA,
            PERIMETER,
            l("a", 1, &["leg", "base"]),
            l("b", 1, &["leg", "height"]),
            l("c", 1, &["hypotenuse"]),
        ],
        formulas: &[
            "c = sqrt(a^2 + b^2)",
            "a = sqrt(c^2 - b^2)",
            "b = sqrt(c^2 - a^2)",
            "A = 1/2 a b",
            "P = a + b + c",
        ],
        loose: &[&["a", "b"]],
        skills: &[
            ("c", "pythagoras", pythagoras::method::FORMULA),
            ("A", "area.triangle", area_triangle::method::FORMULA),
        ],
    },
    Shape {
        names: &["triangle"],
        letters: &[
            AREA,
            PERIMETER,
            l("b", 1, &["base"]),
            HEIGHT,
            l("p", 1, &["side", "sides"]),
            l("q", 1, &["side", "sides"]),
            l("r", 1, &["side", "sides"]),
        ],
        formulas: &["A = 1/2 b h", "h = 2A/b", "b = 2A/h", "P = p + q + r"],
        loose: &[&["b", "h"], &["p", "q", "r"]],
        skills: &[
            ("A", "area.triangle", area_triangle::method::FORMULA),
            ("h", "area.triangle", area_triangle::method::FORMULA),
            ("b", "area.triangle", area_triangle::method::FORMULA),
        ],
    },
    Shape {
        names: &["square"],
        letters: &[AREA, PERIMETER, SIDE, l("d", 1, &["diagonal"])],
        formulas: &[
            "A = s^2",
            "P = 4s",
            "s = sqrt(A)",
            "s = P/4",
            "d = s sqrt(2)",
            "s = d/sqrt(2)",
        ],
        loose: &[&["s"]],
        skills: &[],
    },
    Shape {
        names: &[
            "rectangle",
            "oblong",
            "room",
            "field",
            "garden",
            "lawn",
            "floor",
            "rectangular field",
            "rectangular garden",
            "rectangular room",
            "rectangular lawn",
        ],
        letters: &[
            AREA,
            PERIMETER,
            l("l", 1, &["length", "long", "base", "side", "sides"]),
            l("w", 1, &["width", "wide", "breadth", "broad", "height", "high", "side", "sides"]),
            l("d", 1, &["diagonal"]),
        ],
        formulas: &[
            "A = l w",
            "P = 2(l + w)",
            "w = A/l",
            "l = A/w",
            "w = P/2 - l",
            "l = P/2 - w",
            "d = sqrt(l^2 + w^2)",
            "w = sqrt(d^2 - l^2)",
            "l = sqrt(d^2 - w^2)",
        ],
        loose: &[&["l", "w"]],
        skills: &[],
    },
    Shape {
        names: &["parallelogram"],
        letters: &[
            AREA,
            PERIMETER,
            l("b", 1, &["base"]),
            HEIGHT,
            l("p", 1, &["side", "sides"]),
            l("q", 1, &["side", "sides"]),
        ],
        formulas: &["A = b h", "h = A/b", "b = A/h", "P = 2(p + q)"],
        loose: &[&["b", "h"]],
        skills: &[],
    },
    Shape {
        names: &["trapezium", "trapezoid"],
        letters: &[
            AREA,
            l(
                "a",
                1,
                &["parallel side", "parallel sides", "side", "sides", "base", "bases", "top"],
            ),
            l(
                "b",
                1,
                &["parallel side", "parallel sides", "side", "sides", "base", "bases", "bottom"],
            ),
            HEIGHT,
        ],
        formulas: &["A = 1/2 (a + b) h", "h = 2A/(a + b)"],
        loose: &[&["a", "b", "h"]],
        skills: &[],
    },
    Shape {
        names: &["rhombus", "kite"],
        letters: &[
            AREA,
            PERIMETER,
            l("p", 1, &["diagonal", "diagonals"]),
            l("q", 1, &["diagonal", "diagonals"]),
            SIDE,
        ],
        formulas: &["A = 1/2 p q", "P = 4s", "s = P/4"],
        loose: &[&["p", "q"]],
        skills: &[],
    },
    Shape {
        names: &["semicircle", "semi circle", "half circle"],
        letters: &[AREA, PERIMETER, RADIUS, DIAMETER],
        formulas: &["A = 1/2 π r^2", "P = π r + 2r", "r = d/2", "d = 2r"],
        loose: &[&["r"]],
        skills: &[],
    },
    Shape {
        names: &["quarter circle", "quadrant"],
        letters: &[AREA, PERIMETER, RADIUS],
        formulas: &["A = 1/4 π r^2", "P = 1/2 π r + 2r"],
        loose: &[&["r"]],
        skills: &[],
    },
    Shape {
        names: &["sector"],
        letters: &[
            AREA,
            l("L", 1, &["arc length", "length of arc", "arc"]),
            RADIUS,
            l("θ", 0, &["angle", "central angle", "sector angle"]),
        ],
        formulas: &["A = θ/360 π r^2", "L = θ/360 2π r", "A = 1/2 r L"],
        loose: &[&["r", "θ"]],
        skills: &[],
    },
    Shape {
        names: &["arc"],
        letters: &[
            l("L", 1, &["length", "arc length", "length of arc"]),
            RADIUS,
            l("θ", 0, &["angle", "central angle"]),
        ],
        formulas: &["L = θ/360 2π r"],
        loose: &[&["r", "θ"]],
        skills: &[],
    },
    Shape {
        names: &["circle", "wheel", "disc", "round table", "circular pond"],
        letters: &[AREA, l("C", 1, &["circumference", "perimeter"]), RADIUS, DIAMETER],
        formulas: &[
            "A = π r^2",
            "C = 2π r",
            "C = π d",
            "r = d/2",
            "d = 2r",
            "r = C/(2π)",
            "d = C/π",
            "r = sqrt(A/π)",
        ],
        loose: &[&["r"]],
        skills: &[
            ("A", "circle.area", circle_area::method::PI_R_SQUARED),
            ("C", "circle.circumference", circle_circumference::method::TWO_PI_R),
        ],
    },
    Shape {
        names: &["cube", "cubic box"],
        letters: &[VOLUME, SURFACE, SIDE],
        formulas: &["V = s^3", "S = 6s^2", "s = cbrt(V)", "s = sqrt(S/6)"],
        loose: &[&["s"]],
        skills: &[],
    },
    Shape {
        names: &[
            "cuboid",
            "box",
            "rectangular prism",
            "rectangular box",
            "tank",
            "rectangular tank",
            "shoebox",
            "fish tank",
        ],
        letters: &[VOLUME, SURFACE, LENGTH, WIDTH, DEPTH],
        formulas: &[
            "V = l w h",
            "S = 2(l w + l h + w h)",
            "h = V/(l w)",
            "w = V/(l h)",
            "l = V/(w h)",
        ],
        loose: &[&["l", "w", "h"]],
        skills: &[],
    },
    Shape {
        names: &["triangular prism"],
        letters: &[VOLUME, l("b", 1, &["base"]), HEIGHT, LENGTH],
        formulas: &["V = 1/2 b h l"],
        loose: &[&["b", "h", "l"]],
        skills: &[],
    },
    Shape {
        names: &["cylinder", "can", "tin", "cylindrical tin", "cylindrical tank"],
        letters: &[
            VOLUME,
            SURFACE,
            l("K", 2, &["curved surface area", "lateral area", "lateral surface area"]),
            RADIUS,
            DIAMETER,
            l("h", 1, &["height", "high", "tall", "length", "long", "deep", "depth"]),
        ],
        formulas: &[
            "V = π r^2 h",
            "S = 2π r^2 + 2π r h",
            "K = 2π r h",
            "r = d/2",
            "h = V/(π r^2)",
            "r = sqrt(V/(π h))",
        ],
        loose: &[&["r", "h"]],
        skills: &[],
    },
    Shape {
        names: &["cone"],
        letters: &[
            VOLUME,
            SURFACE,
            l("K", 2, &["curved surface area", "lateral area", "lateral surface area"]),
            RADIUS,
            DIAMETER,
            HEIGHT,
            l("l", 1, &["slant height", "slant length", "slant"]),
        ],
        formulas: &[
            "V = 1/3 π r^2 h",
            "S = π r^2 + π r l",
            "K = π r l",
            "l = sqrt(r^2 + h^2)",
            "h = sqrt(l^2 - r^2)",
            "r = d/2",
            "h = 3V/(π r^2)",
        ],
        loose: &[&["r", "h"]],
        skills: &[],
    },
    Shape {
        names: &["hemisphere"],
        letters: &[VOLUME, SURFACE, RADIUS, DIAMETER],
        formulas: &["V = 2/3 π r^3", "S = 3π r^2", "r = d/2"],
        loose: &[&["r"]],
        skills: &[],
    },
    Shape {
        names: &["sphere", "ball"],
        letters: &[VOLUME, SURFACE, RADIUS, DIAMETER],
        formulas: &[
            "V = 4/3 π r^3",
            "S = 4π r^2",
            "r = d/2",
            "d = 2r",
            "r = sqrt(S/(4π))",
            "r = cbrt(3V/(4π))",
        ],
        loose: &[&["r"]],
        skills: &[],
    },
    Shape {
        names: &["square pyramid", "square based pyramid", "square-based pyramid"],
        letters: &[
            VOLUME,
            l("s", 1, &["base", "side", "base side", "base edge", "base length"]),
            HEIGHT,
        ],
        formulas: &["V = 1/3 s^2 h"],
        loose: &[&["s", "h"]],
        skills: &[],
    },
    Shape {
        names: &["pyramid"],
        letters: &[VOLUME, l("B", 2, &["base area", "base", "area"]), HEIGHT],
        formulas: &["V = 1/3 B h", "h = 3V/B", "B = 3V/h"],
        loose: &[&["B", "h"]],
        skills: &[],
    },
    Shape {
        names: &["prism", "triangular prism", "hexagonal prism"],
        letters: &[
            VOLUME,
            l(
                "B",
                2,
                &[
                    "cross section",
                    "cross-section",
                    "cross sectional area",
                    "cross-sectional area",
                    "base area",
                    "area",
                    "area of cross section",
                ],
            ),
            l("l", 1, &["length", "long", "height", "high"]),
        ],
        formulas: &["V = B l", "l = V/B", "B = V/l"],
        loose: &[&["B", "l"]],
        skills: &[],
    },
    regular(&["regular pentagon", "pentagon"], &["P = 5s", "s = P/5"]),
    regular(&["regular hexagon", "hexagon"], &["P = 6s", "s = P/6", "A = 3 sqrt(3)/2 s^2"]),
    regular(&["regular heptagon", "heptagon"], &["P = 7s", "s = P/7"]),
    regular(&["regular octagon", "octagon"], &["P = 8s", "s = P/8"]),
    regular(&["regular decagon", "decagon"], &["P = 10s", "s = P/10"]),
];

const fn regular(names: &'static [&'static str], formulas: &'static [&'static str]) -> Shape {
    Shape { names, letters: &[AREA, PERIMETER, SIDE], formulas, loose: &[&["s"]], skills: &[] }
}
