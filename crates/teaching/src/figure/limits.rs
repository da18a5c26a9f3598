//! What a figure may hold: the range of each of its fields, so that any figure that was read is drawn in no time.

use super::{Circle, Curve, Figure, Load, Mark, Pair, Place, Polygon, Stretch, Strip, TreeNode};
use std::ops::RangeInclusive;

/// Longest label, in characters.
const LONGEST_LABEL: usize = 200;
/// Most characters of all labels together.
const MOST_CHARACTERS: usize = 4_000;
/// Most points of all curves together.
const MOST_POINTS: usize = 6_000;
/// Furthest from 0 that a place may be.
const FURTHEST: f64 = 1e9;
/// Furthest turn, in degrees, either way.
const TURNED: f64 = 1_080.0;

/// What is wrong with a figure: one sentence.
#[derive(Debug, Clone, PartialEq, Eq)]
pub struct BadFigure(pub String);

impl std::fmt::Display for BadFigure {
    fn fmt(&self, f: &mut std::fmt::Formatter<'_>) -> std::fmt::Result {
        f.write_str(&self.0)
    }
}

impl std::error::Error for BadFigure {}

type Checked = Result<(), BadFigure>;

fn refuse(says: String) -> Checked {
    Err(BadFigure(says))
}

/// Counts what is in a figure while it is looked through.
#[derive(Default)]
struct Limits {
    characters: usize,
    points: usize,
}

impl Limits {
    fn label(&mut self, text: &str) -> Checked {
        let length = text.chars().count();
        self.characters += length;
        if length > LONGEST_LABEL || self.characters > MOST_CHARACTERS {
            return refuse(format!(
                "Keep each label of a picture to {LONGEST_LABEL} characters, and all of them to {MOST_CHARACTERS}."
            ));
        }
        Ok(())
    }

    fn labels<'a>(&mut self, texts: impl IntoIterator<Item = &'a String>) -> Checked {
        texts.into_iter().try_for_each(|text| self.label(text))
    }

    /// A label at each place of a list that has at most so many.
    fn row(&mut self, what: &str, texts: &[String], most: usize) -> Checked {
        list(what, texts.len(), 0..=most)?;
        self.labels(texts)
    }

    fn marks(&mut self, what: &str, marks: &[Mark], most: usize) -> Checked {
        list(what, marks.len(), 0..=most)?;
        marks.iter().try_for_each(|mark| self.mark(mark))
    }

    fn mark(&mut self, mark: &Mark) -> Checked {
        place(mark.at)?;
        self.label(&mark.label)
    }

    fn places(&mut self, what: &str, places: &[Place], most: usize) -> Checked {
        list(what, places.len(), 0..=most)?;
        places.iter().try_for_each(|one| {
            point(one.at)?;
            self.label(&one.label)
        })
    }

    fn curves(&mut self, curves: &[Curve]) -> Checked {
        list("curves", curves.len(), 0..=12)?;
        for curve in curves {
            self.label(&curve.label)?;
            list("pieces of a curve", curve.pieces.len(), 0..=200)?;
            for piece in &curve.pieces {
                self.points += piece.len();
                list("points of all curves", self.points, 0..=MOST_POINTS)?;
                piece.iter().try_for_each(|&at| point(at))?;
            }
        }
        Ok(())
    }

    fn polygon(&mut self, shape: &Polygon) -> Checked {
        let corners = shape.corners.len();
        list("corners", corners, 0..=60)?;
        shape.corners.iter().try_for_each(|&corner| point(corner))?;
        self.row("labels of sides", &shape.sides, corners)?;
        self.row("labels of angles", &shape.angles, corners)?;
        list("right angles", shape.right.len(), 0..=corners)?;
        shape.right.iter().try_for_each(|&at| within("corner with a right angle", at, corners))?;
        list("lines", shape.lines.len(), 0..=60)?;
        for line in &shape.lines {
            point(line.from)?;
            point(line.to)?;
            self.label(&line.label)?;
        }
        list("turns", shape.turns.len(), 0..=30)?;
        for turn in &shape.turns {
            point(turn.at)?;
            number("radius of a turn", turn.radius, 0.0..=FURTHEST)?;
            arc(turn.degrees)?;
        }
        self.places("labels", &shape.marks, 60)
    }

    fn circle(&mut self, circle: &Circle) -> Checked {
        let Circle { radius, diameter, arc_label, central, inscribed, inner_label, .. } = circle;
        self.labels([radius, diameter, arc_label, central, inscribed, inner_label])?;
        circle.arc.map_or(Ok(()), arc)?;
        circle.seen_from.map_or(Ok(()), |at| number("direction", at, -TURNED..=TURNED))?;
        circle.inner.map_or(Ok(()), |at| number("smaller radius", at, 0.0..=1.0))
    }

    /// A tree grows from its first part: each other one hangs on one in front of it.
    fn tree(&mut self, nodes: &[TreeNode]) -> Checked {
        list("parts of a tree", nodes.len(), 1..=80)?;
        for (at, node) in nodes.iter().enumerate() {
            self.label(&node.value)?;
            if node.of.map_or(at != 0, |of| of >= at) {
                return refuse("Each part of a tree hangs on one in front of it.".into());
            }
        }
        Ok(())
    }

    fn loads(&mut self, loads: &[Load]) -> Checked {
        list("things on a pan", loads.len(), 0..=12)?;
        loads.iter().try_for_each(|load| {
            count("things of a kind", load.count, 0..=10_000)?;
            self.label(&load.label)
        })
    }

    fn strips(&mut self, strips: &[Strip], most: usize, parts: u32) -> Checked {
        list("strips or circles", strips.len(), 1..=most)?;
        strips.iter().try_for_each(|strip| {
            count("parts", strip.parts, 1..=parts)?;
            count("shaded parts", strip.shaded, 0..=strip.parts)?;
            self.label(&strip.label)
        })
    }

    fn table(&mut self, heads: &[String], rows: &[Vec<String>]) -> Checked {
        self.row("heads", heads, 20)?;
        list("rows", rows.len(), 0..=20)?;
        rows.iter().try_for_each(|row| self.row("values in a row", row, 40))
    }

    fn stretches(&mut self, stretches: &[Stretch]) -> Checked {
        list("stretches", stretches.len(), 0..=40)?;
        stretches
            .iter()
            .flat_map(|stretch| [&stretch.low, &stretch.high])
            .flatten()
            .try_for_each(|end| self.mark(end))
    }

    fn pairs(&mut self, stops: &[Pair]) -> Checked {
        list("stops", stops.len(), 0..=40)?;
        stops.iter().try_for_each(|stop| {
            number("place of a stop", stop.at, 0.0..=1.0)?;
            self.labels(&stop.labels)
        })
    }

    /// A few digits, the point, or a carry.
    fn digits<'a>(&mut self, texts: impl ExactSizeIterator<Item = &'a String>) -> Checked {
        list("digits", texts.len(), 0..=40)?;
        texts.into_iter().try_for_each(|text| {
            list("signs in a cell", text.chars().count(), 0..=12)?;
            self.label(text)
        })
    }
}

fn list(what: &str, length: usize, fits: RangeInclusive<usize>) -> Checked {
    if fits.contains(&length) {
        return Ok(());
    }
    let (least, most) = fits.into_inner();
    refuse(if length > most {
        format!("A picture has room for at most {most} {what}; this one has {length}.")
    } else {
        format!("A picture needs at least {least} of its {what}.")
    })
}

fn count(what: &str, n: u32, fits: RangeInclusive<u32>) -> Checked {
    if fits.contains(&n) {
        return Ok(());
    }
    let (least, most) = fits.into_inner();
    refuse(format!("The number of {what} in a picture goes from {least} to {most}; this is {n}."))
}

fn number(what: &str, value: f64, fits: RangeInclusive<f64>) -> Checked {
    // Not a number fits nowhere.
    if fits.contains(&value) {
        return Ok(());
    }
    let (least, most) = fits.into_inner();
    refuse(format!("The {what} in a picture goes from {least} to {most}; this is {value}."))
}

fn within(what: &str, at: usize, of: usize) -> Checked {
    if at < of {
        return Ok(());
    }
    refuse(format!("The picture has no {what} with the number {at}."))
}

fn place(value: f64) -> Checked {
    number("place", value, -FURTHEST..=FURTHEST)
}

fn point(at: [f64; 2]) -> Checked {
    at.into_iter().try_for_each(place)
}

/// From one direction to another, at most once around.
fn arc(degrees: [f64; 2]) -> Checked {
    degrees.into_iter().try_for_each(|end| number("direction", end, -TURNED..=TURNED))?;
    number("turn", degrees[1] - degrees[0], -360.0..=360.0)
}

/// From a smaller to a greater number, far enough apart to be told apart.
fn stretch(ends: [f64; 2]) -> Checked {
    point(ends)?;
    if ends[1] - ends[0] > 1e-9 {
        return Ok(());
    }
    refuse("An axis of a picture goes from a smaller to a greater number.".into())
}

impl Figure {
    /// Whether the figure can be drawn within its limits.
    ///
    /// # Errors
    /// [`BadFigure`] with the first field that is out of its range.
    pub fn check(&self) -> Checked {
        let mut limits = Limits::default();
        match self {
            Self::RatioTable { rows, columns } => {
                limits.labels(rows)?;
                list("columns", columns.len(), 1..=30)?;
                limits.labels(columns.iter().flatten())
            }
            Self::NumberLine { from, to, points } => {
                stretch([f64::from(*from), f64::from(*to)])?;
                limits.marks("points", points, 60)
            }
            Self::Bar { parts, total } => {
                list("parts", parts.len(), 1..=60)?;
                let widths = parts.iter().map(|part| part.at);
                widths
                    .into_iter()
                    .try_for_each(|width| number("width of a part", width, 0.0..=FURTHEST))?;
                limits.marks("parts", parts, 60)?;
                limits.label(total)
            }
            Self::Graph { letter, x, y, curves, points } => {
                stretch(*x)?;
                stretch(*y)?;
                limits.label(letter)?;
                limits.curves(curves)?;
                limits.places("points", points, 60)
            }
            Self::Polygon(shape) => limits.polygon(shape),
            Self::Circle(circle) => limits.circle(circle),
            Self::Ruler { length, thing, label } => {
                count("centimetres", *length, 1..=100)?;
                thing.iter().try_for_each(|&end| {
                    number("end of the thing", end, 0.0..=f64::from(*length))
                })?;
                limits.label(label)
            }
            Self::Table { heads, rows } => limits.table(heads, rows),
            Self::Blocks { hundreds, tens, ones } => {
                [hundreds, tens, ones].into_iter().try_for_each(|&n| count("blocks", n, 0..=200))
            }
            Self::Columns { heads, carries, rows, sign, result } => {
                list("rows", rows.len(), 0..=20)?;
                limits.label(sign)?;
                limits.digits(heads.iter())?;
                limits.digits(carries.iter())?;
                limits.digits(result.iter())?;
                rows.iter().try_for_each(|row| limits.digits(row.iter()))
            }
            Self::FactorTree { nodes, ringed } => {
                limits.tree(nodes)?;
                list("ringed leaves", ringed.len(), 0..=nodes.len())?;
                ringed.iter().try_for_each(|&at| within("leaf", at, nodes.len()))
            }
            Self::OperationTree { nodes } | Self::FamilyTree { nodes } => limits.tree(nodes),
            Self::Tiles { tiles } => {
                list("heaps of tiles", tiles.len(), 0..=12)?;
                tiles.iter().try_for_each(|tile| {
                    count("tiles", tile.count.unsigned_abs(), 0..=200)?;
                    limits.label(&tile.label)
                })
            }
            Self::Balance { left, right } => {
                limits.loads(left)?;
                limits.loads(right)
            }
            Self::DotArray { rows, columns, filled } => {
                count("rows", *rows, 1..=60)?;
                count("columns", *columns, 1..=60)?;
                count("filled dots", *filled, 0..=rows * columns)
            }
            Self::Jumps { stops, jumps } => {
                limits.marks("stops", stops, 40)?;
                limits.row("jumps", jumps, stops.len().saturating_sub(1))
            }
            Self::HundredGrid { numbered: _, marked } => {
                list("marked cells", marked.len(), 0..=100)?;
                marked.iter().try_for_each(|&cell| count("a cell", cell, 1..=100))
            }
            Self::Coins { values } => {
                list("coins", values.len(), 0..=60)?;
                values.iter().try_for_each(|&value| count("cents", value, 1..=100_000))
            }
            Self::Tally { count: n } => count("marks", *n, 0..=1_000),
            Self::Calendar { first, days, marked } => {
                count("the first weekday", *first, 0..=6)?;
                count("days", *days, 28..=31)?;
                list("marked days", marked.len(), 0..=31)?;
                marked.iter().try_for_each(|&day| count("a day", day, 1..=*days))
            }
            Self::PointHops { digits, from, to } => {
                limits.digits(digits.iter())?;
                let most = u32::try_from(digits.len()).unwrap_or(u32::MAX);
                [from, to].into_iter().try_for_each(|&at| count("digits before it", at, 0..=most))
            }
            Self::AreaModel { across, down } => {
                [across, down].into_iter().try_for_each(|[shaded, all]| {
                    count("parts", *all, 1..=40)?;
                    count("shaded parts", *shaded, 0..=*all)
                })
            }
            Self::CrossLines { terms, products } => {
                limits.labels(terms)?;
                limits.labels(products)
            }
            Self::FractionCircles { circles } => limits.strips(circles, 12, 120),
            Self::Groups { names, each, groups } => {
                count("groups", *groups, 0..=60)?;
                each.iter().try_for_each(|&n| count("things in a group", n, 0..=40))?;
                limits.labels(names)
            }
            Self::DoubleLine { rows, stops } => {
                limits.labels(rows)?;
                limits.pairs(stops)
            }
            Self::Pattern { built: _, counts } => {
                list("figures of a pattern", counts.len(), 0..=12)?;
                counts.iter().try_for_each(|&n| count("pieces", n, 0..=400))
            }
            Self::UnitStairs { units, factors, way } => {
                list("units", units.len(), 1..=12)?;
                limits.labels(units)?;
                limits.row("factors", factors, units.len() - 1)?;
                way.iter().try_for_each(|&step| within("step", step as usize, units.len()))
            }
            Self::ToScale { things, unit } => {
                let lengths = things.iter().map(|thing| thing.at);
                lengths.into_iter().try_for_each(|at| number("length", at, 0.0..=FURTHEST))?;
                limits.marks("things", things, 20)?;
                limits.label(unit)
            }
            Self::Strips { strips } => limits.strips(strips, 20, 200),
            Self::AreaGrid { across, down, cells } => {
                limits.row("parts of a side", across, 12)?;
                limits.row("parts of a side", down, 12)?;
                list("rows", cells.len(), 0..=down.len())?;
                cells.iter().try_for_each(|row| limits.row("cells", row, across.len()))
            }
            Self::Counters { positive, negative, pairs } => {
                count("counters", *positive, 0..=200)?;
                count("counters", *negative, 0..=200)?;
                count("pairs", *pairs, 0..=*positive.min(negative))
            }
            Self::Digits { digits } => limits.digits(digits.iter().map(|digit| &digit.text)),
            Self::PercentBar { percent, part, whole } => {
                number("percentage", *percent, 0.0..=1_000.0)?;
                limits.labels([part, whole])
            }
            Self::SolutionLine { letter, from, to, stretches } => {
                stretch([*from, *to])?;
                limits.label(letter)?;
                limits.stretches(stretches)
            }
        }
    }
}

#[cfg(test)]
mod tests {
    use super::*;
    use serde_json::{Value, json};

    /// What is said of a figure that is read; nothing of one that is fine.
    fn said(figure: &Value) -> String {
        match serde_json::from_str::<Figure>(&figure.to_string()) {
            Ok(read) => {
                assert_eq!(read.check(), Ok(()));
                String::new()
            }
            Err(error) => error.to_string(),
        }
    }

    fn circle(field: &str, value: &Value) -> Value {
        let mut figure = json!({
            "kind": "circle", "radius": "r", "diameter": "", "arc_label": "", "central": "",
            "inscribed": "", "inner_label": ""
        });
        figure[field] = value.clone();
        figure
    }

    #[test]
    fn a_figure_within_its_limits_is_read() {
        for figure in [
            circle("arc", &json!([-90.0, 270.0])),
            json!({"kind": "number_line", "from": -10, "to": 10, "points": [{"at": 2.5, "label": "x"}]}),
            json!({"kind": "tally", "count": 0}),
            json!({"kind": "strips", "strips": [{"parts": 1, "shaded": 1, "label": ""}]}),
            json!({"kind": "factor_tree", "nodes": [{"value": "6"}, {"value": "2", "of": 0}, {"value": "3", "of": 0}]}),
            json!({"kind": "calendar", "first": 6, "days": 28, "marked": [1, 28]}),
        ] {
            assert_eq!(said(&figure), "", "{figure}");
        }
    }

    #[test]
    fn a_figure_beyond_its_limits_is_refused_with_a_sentence() {
        let many = |count: usize, one: Value| Value::Array(vec![one; count]);
        let long = "x".repeat(LONGEST_LABEL + 1);
        for (figure, says) in [
            (circle("arc", &json!([0, 1e12])), "direction"),
            (circle("arc", &json!([-200, 200])), "turn"),
            (circle("seen_from", &json!(-1e300)), "direction"),
            (circle("inner", &json!(1.5)), "smaller radius"),
            (circle("radius", &json!(long)), "200 characters"),
            (json!({"kind": "number_line", "from": 5, "to": 5, "points": []}), "axis"),
            (json!({"kind": "number_line", "from": 6, "to": 5, "points": []}), "axis"),
            (
                json!({"kind": "number_line", "from": 0, "to": 9, "points": many(61, json!({"at": 1, "label": ""}))}),
                "points",
            ),
            (
                json!({"kind": "groups", "names": ["a", "b"], "each": [1, 1], "groups": 4_294_967_295_u32}),
                "groups",
            ),
            (
                json!({"kind": "groups", "names": ["a", "b"], "each": [41, 1], "groups": 1}),
                "things in a group",
            ),
            (
                json!({"kind": "family_tree", "nodes": many(60_000, json!({"value": "a", "of": 0}))}),
                "parts of a tree",
            ),
            (json!({"kind": "family_tree", "nodes": [{"value": "a", "of": 0}]}), "in front of it"),
            (
                json!({"kind": "operation_tree", "nodes": [{"value": "a"}, {"value": "b"}]}),
                "in front of it",
            ),
            (json!({"kind": "operation_tree", "nodes": []}), "at least 1"),
            (
                json!({"kind": "ruler", "length": 4_000_000_000_u32, "thing": [0, 1], "label": ""}),
                "centimetres",
            ),
            (
                json!({"kind": "ruler", "length": 10, "thing": [0, 11], "label": ""}),
                "end of the thing",
            ),
            (
                json!({"kind": "graph", "letter": "x", "x": [0, 1e-12], "y": [0, 1], "curves": [], "points": []}),
                "axis",
            ),
            (
                json!({"kind": "graph", "letter": "x", "x": [0, 1], "y": [0, 1], "points": [],
                    "curves": [{"label": "", "pieces": [many(MOST_POINTS + 1, json!([0.5, 0.5]))]}]}),
                "points of all curves",
            ),
            (
                json!({"kind": "strips", "strips": [{"parts": 0, "shaded": 0, "label": ""}]}),
                "parts",
            ),
            (
                json!({"kind": "strips", "strips": [{"parts": 3, "shaded": 4, "label": ""}]}),
                "shaded parts",
            ),
            (json!({"kind": "table", "heads": many(21, json!("a")), "rows": []}), "heads"),
            (
                json!({"kind": "table", "heads": [], "rows": many(20, many(40, json!("123456")))}),
                "characters",
            ),
            (json!({"kind": "dot_array", "rows": 61, "columns": 1, "filled": 0}), "rows"),
            (json!({"kind": "dot_array", "rows": 2, "columns": 2, "filled": 5}), "filled dots"),
            (
                json!({"kind": "point_hops", "digits": ["1"], "from": 0, "to": 2}),
                "digits before it",
            ),
            (json!({"kind": "unit_stairs", "units": ["m"], "factors": [], "way": [0, 1]}), "step"),
            (json!({"kind": "percent_bar", "percent": -1, "part": "", "whole": ""}), "percentage"),
            (json!({"kind": "counters", "positive": 1, "negative": 2, "pairs": 2}), "pairs"),
            (json!({"kind": "calendar", "first": 7, "days": 31, "marked": []}), "weekday"),
            (json!({"kind": "calendar", "first": 0, "days": 30, "marked": [31]}), "a day"),
            (json!({"kind": "jumps", "stops": [{"at": 0, "label": ""}], "jumps": ["a"]}), "jumps"),
            (
                json!({"kind": "double_line", "rows": ["", ""], "stops": [{"at": 1.5, "labels": ["", ""]}]}),
                "place of a stop",
            ),
            (
                json!({"kind": "polygon", "corners": [[0, 0], [1, 0], [0, 1]], "sides": [], "right": [3]}),
                "right angle",
            ),
            (json!({"kind": "polygon", "corners": [[0, 1e12]], "sides": [], "right": []}), "place"),
            (json!({"kind": "pattern", "built": "dots", "counts": [401]}), "pieces"),
            (json!({"kind": "tiles", "tiles": [{"label": "x", "count": i32::MIN}]}), "tiles"),
        ] {
            let said = said(&figure);
            assert!(said.contains(says), "{says}: {}", &said[..said.len().min(200)]);
        }
    }

    #[test]
    fn what_is_no_number_has_no_place() {
        for value in [f64::NAN, f64::INFINITY, f64::NEG_INFINITY] {
            let points = vec![Mark { at: value, label: String::new() }];
            assert!(Figure::NumberLine { from: 0, to: 9, points }.check().is_err());
            assert!(arc([0.0, value]).is_err() && stretch([value, 1.0]).is_err());
        }
    }
}
