//! Every picture that a ladder can pose: inside its frame, nothing on top of another, told in words.

use drawing::{Anchor, Scene, Shape, Tone, draw};
use skills::SKILLS;
use skills::ladder::{Ladder, LadderOrder};
use std::sync::OnceLock;
use teaching::figure::{Figure, Mark};

/// Width of a character in a label, in the scene's units; generous, so that real type fits.
const PER_LETTER: f64 = 8.5;

/// Every picture that problems and workings of the whole catalogue have, for some seeds, by skill and method.
fn figures() -> &'static [Figure] {
    static FOUND: OnceLock<Vec<Figure>> = OnceLock::new();
    FOUND.get_or_init(|| {
        let mut found = Vec::new();
        for card in SKILLS.iter().map(|skill| skill.card()) {
            for (seed, method) in
                (0..8).flat_map(|seed| card.methods.iter().map(move |method| (seed, method.id)))
            {
                let order = LadderOrder {
                    skills: vec![card.id.into()],
                    grip: 4,
                    tilt: 3,
                    climb: 3,
                    seed,
                    method: Some(method),
                    ..LadderOrder::default()
                };
                for rung in Ladder::make(&order).expect("made").rungs {
                    found.extend(rung.figure);
                    found.extend(rung.working.into_iter().filter_map(|line| line.figure));
                }
            }
        }
        assert!(found.len() > 5_000, "{}", found.len());
        found
    })
}

fn by_hand() -> Vec<Figure> {
    let mark = |at: f64, label: &str| Mark { at, label: label.into() };
    let parts = vec![mark(2.0, "n"), mark(2.0, "n"), mark(3.0, "6")];
    vec![
        Figure::NumberLine { from: 0, to: 10, points: vec![mark(5.0, "x"), mark(7.5, "y")] },
        Figure::NumberLine { from: -20, to: 20, points: vec![mark(-3.0, "a")] },
        Figure::Bar { parts, total: "30".into() },
        Figure::RatioTable {
            rows: ["jars".into(), "dollars".into()],
            columns: vec![["4".into(), "10".into()], ["30".into(), "n".into()]],
        },
        Figure::RatioTable {
            rows: [String::new(), String::new()],
            columns: vec![["1/2".into(), "n".into()], ["3".into(), "12".into()]],
        },
    ]
}

/// Left and right end of a label.
fn reach(label: &drawing::Label) -> (f64, f64) {
    let width = label.text.chars().count() as f64 * PER_LETTER;
    match label.anchor {
        Anchor::Start => (label.x, label.x + width),
        Anchor::Middle => (label.x - width / 2.0, label.x + width / 2.0),
        Anchor::End => (label.x - width, label.x),
    }
}

fn check(scene: &Scene) {
    let inside = |x: f64, y: f64| {
        (-0.01..=scene.width + 0.01).contains(&x) && (-0.01..=scene.height + 0.01).contains(&y)
    };
    for shape in &scene.shapes {
        let corners = match shape {
            Shape::Line { x1, y1, x2, y2, .. } => [(*x1, *y1), (*x2, *y2)],
            Shape::Box { x, y, width, height, .. } => [(*x, *y), (x + width, y + height)],
            Shape::Curve { points, .. } | Shape::Area { points, .. } => {
                let all = |pick: fn(&[f64; 2]) -> f64, join: fn(f64, f64) -> f64| {
                    points.iter().map(pick).reduce(join).unwrap_or(0.0)
                };
                [
                    (all(|p| p[0], f64::min), all(|p| p[1], f64::min)),
                    (all(|p| p[0], f64::max), all(|p| p[1], f64::max)),
                ]
            }
            Shape::Dot { x, y, radius, .. } => [(x - radius, y - radius), (x + radius, y + radius)],
        };
        for (x, y) in corners {
            assert!(inside(x, y), "{x}, {y} of {}", scene.describes);
        }
    }
    for (index, label) in scene.labels.iter().enumerate() {
        let (left, right) = reach(label);
        let fits = inside(left, label.y) && inside(right, label.y);
        assert!(fits, "{} in {}", label.text, scene.describes);
        for other in &scene.labels[index + 1..] {
            let (from, to) = reach(other);
            let apart = (label.y - other.y).abs() > 14.0 || right <= from || to <= left;
            let picture = &scene.describes;
            assert!(apart, "{} on {} in {picture}", label.text, other.text);
        }
    }
}

#[test]
fn every_posed_picture_stays_in_its_frame() {
    figures().iter().map(draw).for_each(|scene| check(&scene));
}

#[test]
fn pictures_made_by_hand_stay_in_their_frames() {
    by_hand().iter().map(draw).for_each(|scene| check(&scene));
}

#[test]
fn every_number_of_a_picture_is_told_in_words() {
    for figure in figures().iter().cloned().chain(by_hand()) {
        let scene = draw(&figure);
        let numbers: Vec<String> = match &figure {
            Figure::RatioTable { columns, .. } => columns.iter().flatten().cloned().collect(),
            Figure::NumberLine { from, to, points } => {
                let ends = [from.to_string(), to.to_string()];
                ends.into_iter().chain(points.iter().map(|p| p.label.clone())).collect()
            }
            Figure::Bar { parts, total } => {
                parts.iter().map(|p| p.label.clone()).chain([total.clone()]).collect()
            }
            Figure::Graph { points, .. } => points.iter().map(|p| p.label.clone()).collect(),
            Figure::Polygon(shape) => {
                let lines = shape.lines.iter().map(|line| &line.label);
                shape.sides.iter().chain(&shape.angles).chain(lines).cloned().collect()
            }
            Figure::Circle(circle) => vec![
                circle.radius.clone(),
                circle.diameter.clone(),
                circle.arc_label.clone(),
                circle.central.clone(),
                circle.inscribed.clone(),
                circle.inner_label.clone(),
            ],
            Figure::Ruler { thing, label, .. } => {
                thing.iter().map(f64::to_string).chain([label.clone()]).collect()
            }
            Figure::Table { heads, rows } => {
                heads.iter().chain(rows.iter().flatten()).cloned().collect()
            }
            Figure::SolutionLine { stretches, .. } => {
                let ends = stretches.iter().flat_map(|s| [&s.low, &s.high]).flatten();
                ends.map(|mark| mark.label.clone()).collect()
            }
            Figure::Blocks { hundreds, tens, ones } => {
                [hundreds, tens, ones].map(ToString::to_string).to_vec()
            }
            Figure::Columns { rows, result, .. } => {
                rows.iter().map(|row| row.concat()).chain([result.concat()]).collect()
            }
            Figure::FactorTree { nodes, .. } => {
                let leaf = |at: &usize| !nodes.iter().any(|node| node.of == Some(*at));
                (0..nodes.len()).filter(leaf).map(|at| nodes[at].value.clone()).collect()
            }
            Figure::Strips { strips } => strips.iter().map(|strip| strip.label.clone()).collect(),
            Figure::AreaGrid { across, down, cells } => {
                across.iter().chain(down).chain(cells.iter().flatten()).cloned().collect()
            }
            Figure::Counters { positive, negative, pairs } => {
                let pairs = if *pairs > 0 { pairs.to_string() } else { String::new() };
                vec![positive.to_string(), negative.to_string(), pairs]
            }
            Figure::Digits { digits } => digits.iter().map(|digit| digit.text.clone()).collect(),
            Figure::OperationTree { nodes } => {
                nodes.iter().map(|node| node.value.clone()).collect()
            }
            Figure::FamilyTree { .. } => vec!["1, 1, 2".into()],
            Figure::Tiles { tiles } => tiles
                .iter()
                .map(|tile| tile.count.unsigned_abs().to_string())
                .filter(|n| n != "1")
                .collect(),
            Figure::Balance { left, right } => {
                left.iter().chain(right).map(|load| load.label.clone()).collect()
            }
            Figure::DotArray { rows, columns, .. } => vec![rows.to_string(), columns.to_string()],
            Figure::Jumps { stops, jumps } => {
                stops.iter().map(|stop| stop.label.clone()).chain(jumps.iter().cloned()).collect()
            }
            Figure::HundredGrid { numbered: true, marked } => {
                marked.iter().map(u32::to_string).collect()
            }
            Figure::HundredGrid { marked, .. } => vec![marked.len().to_string()],
            Figure::Coins { values } => values.iter().map(u32::to_string).collect(),
            Figure::Tally { count } => vec![count.to_string()],
            Figure::Calendar { days, marked, .. } => {
                marked.iter().chain([days]).map(u32::to_string).collect()
            }
            Figure::PointHops { digits, .. } => vec![digits.concat()],
            Figure::AreaModel { across, down } => {
                vec![(across[0] * down[0]).to_string(), (across[1] * down[1]).to_string()]
            }
            Figure::CrossLines { terms, products } => {
                terms.iter().chain(products).cloned().collect()
            }
            Figure::FractionCircles { circles } => {
                circles.iter().map(|circle| circle.label.clone()).collect()
            }
            Figure::Groups { each, groups, .. } => {
                each.iter().flat_map(|n| [n.to_string(), (n * groups).to_string()]).collect()
            }
            Figure::DoubleLine { stops, .. } => {
                stops.iter().flat_map(|stop| stop.labels.clone()).collect()
            }
            Figure::Pattern { counts, .. } => counts.iter().map(u32::to_string).collect(),
            Figure::UnitStairs { units, .. } => units.clone(),
            Figure::ToScale { things, .. } => things
                .iter()
                .flat_map(|thing| [thing.at.to_string(), thing.label.clone()])
                .collect(),
            Figure::PercentBar { part, whole, .. } => vec![part.clone(), whole.clone()],
        };
        for number in numbers {
            assert!(scene.describes.contains(&number), "{number} in {}", scene.describes);
        }
        assert!(scene.describes.ends_with('.'));
    }
}

#[test]
fn what_is_asked_for_stands_on_honey_and_nothing_else_does() {
    for figure in figures() {
        let Figure::RatioTable { columns, .. } = &figure else { continue };
        let asked = columns.iter().flatten().filter(|t| t.chars().all(char::is_alphabetic)).count();
        let scene = draw(figure);
        if asked == 0 {
            continue;
        }
        let honey = |shape: &&Shape| matches!(shape, Shape::Box { fill: Some(Tone::Honey), .. });
        assert_eq!(scene.shapes.iter().filter(honey).count(), asked, "{}", scene.describes);
        assert_eq!(asked, 1, "{}", scene.describes);
    }
}

#[test]
fn the_file_that_stands_alone_is_whole() {
    for figure in by_hand() {
        let scene = draw(&figure);
        let file = drawing::svg::svg(&scene);
        assert!(file.starts_with("<svg xmlns=\"http://www.w3.org/2000/svg\""));
        assert!(file.ends_with("</svg>"));
        assert_eq!(file.matches("<text").count(), scene.labels.len());
        let drawn = ["<line", "<rect", "<circle", "<polyline", "<polygon"]
            .iter()
            .map(|tag| file.matches(tag).count());
        assert_eq!(drawn.sum::<usize>(), scene.shapes.len());
        assert!(file.contains(&format!("<title>{}</title>", scene.describes)));
    }
}

#[test]
fn every_picture_of_a_skill_is_within_its_limits() {
    for figure in figures() {
        assert_eq!(figure.check(), Ok(()), "{figure:?}");
    }
}
