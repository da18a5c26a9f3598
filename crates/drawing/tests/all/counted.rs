//! What a picture shows is what it was given: as many things, as long, at the same places, for any numbers.

use drawing::{Scene, Shape, Tone, draw};
use proptest::prelude::*;
use teaching::figure::{Figure, Load, Mark, Pair, PatternKind, Stretch, Strip, Tile};

fn mark(at: f64, label: &str) -> Mark {
    Mark { at, label: label.into() }
}

/// Left edges and widths of the rectangles of a colour, in the order in which they are drawn.
fn boxes(scene: &Scene, tone: Tone) -> Vec<(f64, f64)> {
    let one = |shape: &Shape| match shape {
        Shape::Box { x, width, fill: Some(fill), .. } if *fill == tone => Some((*x, *width)),
        _ => None,
    };
    scene.shapes.iter().filter_map(one).collect()
}

/// Centres of the dots, and whether each is hollow.
fn dots(scene: &Scene) -> Vec<([f64; 2], bool)> {
    let one = |shape: &Shape| match shape {
        Shape::Dot { x, y, hollow, .. } => Some(([*x, *y], *hollow)),
        _ => None,
    };
    scene.shapes.iter().filter_map(one).collect()
}

/// Where a label stands from left to right.
fn place(scene: &Scene, text: &str) -> f64 {
    let found = scene.labels.iter().find(|label| label.text == text);
    found.unwrap_or_else(|| panic!("{text} in {}", scene.describes)).x
}

/// Whether numbers are the others times one factor, up to rounding.
#[track_caller]
fn assert_in_proportion(drawn: &[f64], given: &[f64]) {
    assert_eq!(drawn.len(), given.len());
    let most = given.iter().copied().fold(0.0, f64::max);
    let longest = drawn.iter().copied().fold(0.0, f64::max);
    for (is, should) in drawn.iter().zip(given) {
        assert!((is / longest - should / most).abs() < 1e-9, "{drawn:?} for {given:?}");
    }
}

proptest! {
    #![proptest_config(ProptestConfig::with_cases(64))]

    #[test]
    fn a_bar_is_cut_as_its_parts_are(sizes in prop::collection::vec(1u32..40, 1..6)) {
        let given: Vec<f64> = sizes.iter().copied().map(f64::from).collect();
        let parts = given.iter().map(|size| mark(*size, &size.to_string())).collect();
        let scene = draw(&Figure::Bar { parts, total: "all".into() });
        let drawn = boxes(&scene, Tone::Ground);
        assert_in_proportion(&drawn.iter().map(|b| b.1).collect::<Vec<_>>(), &given);
        // Each part begins where the one before it ends.
        for ends in drawn.windows(2) {
            prop_assert!((ends[0].0 + ends[0].1 - ends[1].0).abs() < 1e-9);
        }
    }

    #[test]
    fn a_number_line_is_even(from in -50i32..50, length in 1i32..20, at in 0.0f64..1.0) {
        let to = from + length;
        let value = at.mul_add(f64::from(length), f64::from(from));
        let scene = draw(&Figure::NumberLine { from, to, points: vec![mark(value, "here")] });
        // Not every number is written where there are many: the first two that are tell the scale.
        let written: Vec<(f64, f64)> = scene.labels.iter()
            .filter_map(|label| Some((label.text.parse().ok()?, label.x))).take(2).collect();
        let unit = (written[1].1 - written[0].1) / (written[1].0 - written[0].0);
        let read = (place(&scene, "here") - written[0].1) / unit + written[0].0;
        prop_assert!((read - value).abs() < 1e-9, "{read} for {value}");
    }

    #[test]
    fn strips_have_equal_parts_and_one_length(shaded in 0u32..12, more in 1u32..12, times in 1u32..5) {
        let parts = shaded + more;
        let strip = |times| Strip { parts: parts * times, shaded: shaded * times, label: "s".into() };
        let scene = draw(&Figure::Strips { strips: vec![strip(1), strip(times)] });
        let (honey, ground) = (boxes(&scene, Tone::Honey), boxes(&scene, Tone::Ground));
        prop_assert_eq!(honey.len() as u32, shaded * (1 + times));
        prop_assert_eq!(ground.len() as u32, more * (1 + times));
        // Equal fractions are shaded equally far.
        let long = |range: &[(f64, f64)]| range.iter().map(|b| b.1).sum::<f64>();
        let (first, second) = honey.split_at(shaded as usize);
        prop_assert!((long(first) - long(second)).abs() < 1e-6);
    }

    #[test]
    fn a_percent_bar_is_filled_as_far_as_it_says(percent in 1u32..250) {
        let figure = Figure::PercentBar { percent: percent.into(), part: "p".into(), whole: "w".into() };
        let scene = draw(&figure);
        let start = boxes(&scene, Tone::Ground)[0].0;
        let filled = boxes(&scene, Tone::Honey)[0].1;
        let whole = place(&scene, "w") - start;
        prop_assert!((filled / whole - f64::from(percent) / 100.0).abs() < 1e-9);
    }

    #[test]
    fn things_to_one_scale_are(sizes in prop::collection::vec(1u32..30, 1..6)) {
        let given: Vec<f64> = sizes.iter().copied().map(f64::from).collect();
        let things = given.iter().map(|size| mark(*size, "a plank")).collect();
        let scene = draw(&Figure::ToScale { things, unit: "m".into() });
        let drawn: Vec<f64> = boxes(&scene, Tone::Honey).iter().map(|b| b.1).collect();
        assert_in_proportion(&drawn, &given);
    }

    #[test]
    fn a_thing_on_a_ruler_is_as_long_as_its_marks_say(from in 0u32..60, long in 1u32..50) {
        let (start, end) = (f64::from(from) / 10.0, f64::from(from + long) / 10.0);
        let scene = draw(&Figure::Ruler { length: 12, thing: [start, end], label: "a twig".into() });
        let centimetre = place(&scene, "1") - place(&scene, "0");
        let (left, width) = boxes(&scene, Tone::Honey)[0];
        prop_assert!(((left - place(&scene, "0")) / centimetre - start).abs() < 1e-9);
        prop_assert!((width / centimetre - (end - start)).abs() < 1e-9);
    }

    #[test]
    fn a_double_line_has_its_stops_where_they_are(at in prop::collection::vec(0.02f64..1.0, 1..6)) {
        let stop = |(index, at): (usize, &f64)| Pair { at: *at, labels: [format!("u{index}"), format!("l{index}")] };
        let stops: Vec<Pair> = at.iter().enumerate().map(stop).collect();
        let scene = draw(&Figure::DoubleLine { rows: [String::new(), String::new()], stops });
        let zero = place(&scene, "0");
        let drawn: Vec<f64> = (0..at.len()).map(|n| place(&scene, &format!("u{n}")) - zero).collect();
        assert_in_proportion(&drawn, &at);
        for n in 0..at.len() {
            prop_assert_eq!(place(&scene, &format!("u{n}")), place(&scene, &format!("l{n}")));
        }
    }

    #[test]
    fn dots_are_as_many_as_they_should_be(rows in 1u32..=60, columns in 1u32..=60, part in 0.0f64..1.0) {
        let filled = (f64::from(rows * columns) * part) as u32;
        let all = dots(&draw(&Figure::DotArray { rows, columns, filled }));
        prop_assert_eq!(all.len() as u32, rows * columns);
        prop_assert_eq!(all.iter().filter(|(_, hollow)| !hollow).count() as u32, filled);
        // They stand in so many columns and rows.
        let distinct = |axis: usize| {
            let mut places: Vec<i64> = all.iter().map(|(at, _)| at[axis].round() as i64).collect();
            places.sort_unstable();
            places.dedup();
            places.len() as u32
        };
        prop_assert_eq!((distinct(0), distinct(1)), (columns, rows));
    }

    #[test]
    fn groups_are_alike(first in 0u32..=40, second in 0u32..=40, groups in 1u32..=60) {
        let names = ["bees".to_owned(), "drones".to_owned()];
        let all = dots(&draw(&Figure::Groups { names, each: [first, second], groups }));
        let hollow = all.iter().filter(|(_, hollow)| *hollow).count() as u32;
        prop_assert_eq!((all.len() as u32 - hollow, hollow), (first * groups, second * groups));
    }

    #[test]
    fn tally_marks_are_counted(count in 0u32..=1_000) {
        prop_assert_eq!(draw(&Figure::Tally { count }).shapes.len() as u32, count);
    }

    #[test]
    fn a_hundred_grid_marks_what_it_was_told(mut marked in prop::collection::btree_set(1u32..=100, 0..30)) {
        let scene = draw(&Figure::HundredGrid { numbered: true, marked: marked.iter().copied().collect() });
        let honey = boxes(&scene, Tone::Honey);
        prop_assert_eq!(honey.len(), marked.len());
        // The marked cells of the first row are as far across as their numbers say.
        marked.retain(|cell| *cell <= 10);
        let one = place(&scene, "1");
        let cell = place(&scene, "2") - one;
        for (number, (left, width)) in marked.iter().zip(honey) {
            let centre = left + width / 2.0;
            prop_assert!(((centre - one) / cell - f64::from(number - 1)).abs() < 0.01);
        }
    }

    #[test]
    fn days_stand_below_their_weekday(first in 0u32..7, days in 28u32..=31, day in 1u32..=28) {
        let scene = draw(&Figure::Calendar { first, days, marked: vec![day] });
        let weekday = ["Mon", "Tue", "Wed", "Thu", "Fri", "Sat", "Sun"][((first + day - 1) % 7) as usize];
        prop_assert_eq!(place(&scene, &day.to_string()), place(&scene, weekday));
        let (left, width) = boxes(&scene, Tone::Honey)[0];
        prop_assert_eq!(left + width / 2.0, place(&scene, weekday));
        prop_assert_eq!(boxes(&scene, Tone::Ground).len() as u32, days - 1);
    }

    #[test]
    fn blocks_are_all_there(hundreds in 0u32..=200, tens in 0u32..=200, ones in 0u32..=200) {
        let scene = draw(&Figure::Blocks { hundreds, tens, ones });
        prop_assert_eq!(boxes(&scene, Tone::Honey).len() as u32, hundreds + tens + ones);
    }

    #[test]
    fn jumps_land_where_the_next_one_starts(stops in prop::collection::vec(-30i32..30, 2..6)) {
        let way: Vec<Mark> = stops.iter().map(|at| mark((*at).into(), "at")).collect();
        let jumps = stops.windows(2).map(|ends| format!("{:+}", ends[1] - ends[0])).collect();
        let scene = draw(&Figure::Jumps { stops: way, jumps });
        let arcs: Vec<(f64, f64)> = scene.shapes.iter().filter_map(|shape| match shape {
            Shape::Curve { points, .. } => Some((points.first()?[0], points.last()?[0])),
            _ => None,
        }).collect();
        prop_assert_eq!(arcs.len(), stops.len() - 1);
        for ends in arcs.windows(2) {
            prop_assert!((ends[0].1 - ends[1].0).abs() < 1e-9);
        }
        // One unit is one length, to the right for more and to the left for less.
        let drawn: Vec<f64> = arcs.iter().map(|(from, to)| (to - from).abs()).collect();
        let given: Vec<f64> = stops.windows(2).map(|e| f64::from(e[1] - e[0]).abs()).collect();
        if given.iter().any(|jump| *jump > 0.0) {
            assert_in_proportion(&drawn, &given);
        }
        for (ends, (from, to)) in stops.windows(2).zip(&arcs) {
            prop_assert_eq!(ends[1] > ends[0], to > from);
        }
    }

    #[test]
    fn pans_hold_what_lies_on_them(left in 1u32..6, right in 1u32..6) {
        let load = |count| vec![Load { label: "x".into(), count, lifts: false }];
        let scene = draw(&Figure::Balance { left: load(left), right: load(right) });
        prop_assert_eq!(scene.labels.iter().filter(|label| label.text == "x").count() as u32, left + right);
        let middle = scene.width / 2.0;
        let on_left = scene.labels.iter().filter(|label| label.text == "x" && label.x < middle).count();
        prop_assert_eq!(on_left as u32, left);
    }

    #[test]
    fn each_figure_of_a_pattern_has_one_more(first in 1u32..200, step in 1u32..60) {
        let counts: Vec<u32> = (0..4).map(|n| first + step * n).collect();
        let scene = draw(&Figure::Pattern { built: PatternKind::Dots, counts: counts.clone() });
        prop_assert_eq!(dots(&scene).len() as u32, counts.iter().sum::<u32>());
    }

    #[test]
    fn the_ends_of_solutions_stand_where_their_values_are(low in -8i32..0, long in 1i32..8, closed: [bool; 2]) {
        let high = low + long;
        let end = |at: i32, label: &str| Some(mark(at.into(), label));
        let stretches = vec![Stretch { low: end(low, "l"), high: end(high, "h"), closed }];
        let scene = draw(&Figure::SolutionLine { letter: "x".into(), from: -10.0, to: 10.0, stretches });
        let ends: Vec<(f64, bool)> = dots(&scene).into_iter().map(|(at, hollow)| (at[0], hollow)).collect();
        prop_assert_eq!(ends.len(), 2);
        // A value that belongs to the solutions has a full dot, another a hollow one.
        prop_assert_eq!([!ends[0].1, !ends[1].1], closed);
        prop_assert_eq!(ends[0].0, place(&scene, "l"));
        prop_assert_eq!(ends[1].0, place(&scene, "h"));
    }
}

#[test]
fn counters_of_both_kinds_are_all_there() {
    for (positive, negative, pairs) in
        [(0, 0, 0), (3, 5, 3), (24, 25, 24), (200, 200, 200), (200, 0, 0)]
    {
        let scene = draw(&Figure::Counters { positive, negative, pairs });
        let hollow = dots(&scene).iter().filter(|(_, hollow)| *hollow).count() as u32;
        assert_eq!((dots(&scene).len() as u32 - hollow, hollow), (positive, negative));
        let crossed =
            scene.shapes.iter().filter(|shape| matches!(shape, Shape::Line { .. })).count() as u32;
        assert_eq!(crossed, pairs);
        let inside = dots(&scene).iter().all(|([x, y], _)| *x < scene.width && *y < scene.height);
        assert!(inside, "{}", scene.describes);
    }
}

#[test]
fn negative_tiles_and_positive_ones_are_told_apart() {
    let tile = |label: &str, count| Tile { label: label.into(), count };
    let scene = draw(&Figure::Tiles { tiles: vec![tile("x^2", 1), tile("x", -3), tile("1", 4)] });
    assert_eq!((boxes(&scene, Tone::Honey).len(), boxes(&scene, Tone::Ground).len()), (5, 3));
    // Colour is never the only sign: the heap says that it is negative.
    assert_eq!(scene.labels.iter().filter(|label| label.text.starts_with('-')).count(), 1);
}

#[test]
fn fraction_circles_have_their_parts_shaded() {
    for (parts, shaded) in [(1, 0), (1, 1), (2, 1), (3, 2), (8, 5), (12, 12)] {
        let circles = vec![Strip { parts, shaded, label: "f".into() }];
        let scene = draw(&Figure::FractionCircles { circles });
        let area = |fill: Tone| {
            let one = |shape: &Shape| match shape {
                Shape::Area { points, fill: found } if *found == fill => Some(enclosed(points)),
                Shape::Dot { radius, tone, hollow: false, .. } if *tone == fill => {
                    Some(std::f64::consts::PI * radius * radius)
                }
                _ => None,
            };
            scene.shapes.iter().filter_map(one).sum::<f64>()
        };
        let share = area(Tone::Honey) / area(Tone::Ground);
        let wanted = f64::from(shaded) / f64::from(parts);
        assert!((share - wanted).abs() < 0.02, "{share} for {shaded}/{parts}");
    }
}

/// The area inside a closed line, by the sum of its crosses.
fn enclosed(points: &[[f64; 2]]) -> f64 {
    let next = points.iter().cycle().skip(1);
    points.iter().zip(next).map(|(a, b)| a[0].mul_add(b[1], -(b[0] * a[1]))).sum::<f64>().abs()
        / 2.0
}
