//! Reading a ruler.
//!
//! Methods: end minus start; counting the spaces. What counts as nice: whole and half centimetres.

use crate::kit::*;

/// The skill `measure.read-ruler`.
pub struct ReadRuler;

slips! {
    MARKS_COUNTED = "marks-counted": "Count the spaces, not the marks.",
        "Counts the marks instead of the spaces between them.";
    END_READ_ONLY = "end-read-only": "Where does it start?",
        "Reads the end and forgets where the thing starts.";
    STARTED_AT_ONE = "started-at-one": "Which mark stands at the beginning of a ruler?",
        "Takes the mark 1 for the beginning.";
    HALVES_FORGOTTEN = "halves-forgotten": "Does it end at a mark, or half way to the next?",
        "Reads to the nearest whole centimetre.";
}

methods! {
    END_MINUS_START = "end-minus-start": "End minus start",
    COUNT_SPACES = "count-spaces": "Count the spaces",
}

impl Skill for ReadRuler {
    fn card(&self) -> Card {
        Card {
            id: "measure.read-ruler",
            strand: Strand::Geometry,
            grades: (1, 4),
            title: "Reading a ruler",
            objective: "I can tell how long something is, wherever it lies on the ruler.",
            vocabulary: terms![
                "length": "how far it is from one end to the other",
                "centimetre": "the space between two numbers on the ruler",
                "millimetre": "a tenth of a centimetre",
            ],
            methods: METHODS,
        }
    }

    fn slips(&self) -> &'static [&'static dyn Slip] {
        SLIPS
    }

    fn pose(&self, stage: Stage, index: usize, draw: &mut Draw) -> Posed {
        match (stage, index % 3) {
            (Stage::Grip, _) => from_zero(index, draw),
            (Stage::Tilt, 2) => in_millimetres(draw),
            (Stage::Tilt, _) => from_elsewhere(draw),
            (Stage::Climb, 0) => two_things(draw),
            (Stage::Climb, 1) => estimated(draw),
            (Stage::Climb, _) => other_units(draw),
        }
    }
}

/// Small things of the garden, at most as long as a ruler.
const THINGS: &[&str] = &[
    "wax crayon",
    "feather",
    "twig of lavender",
    "queen cage",
    "honey spoon",
    "pencil",
    "label",
    "leaf",
];

/// Lengths in half centimetres as they are read.
fn halves(n: i64) -> String {
    decimal(n * 5, 1)
}

/// A ruler with the thing on it; the places are in half centimetres.
#[expect(clippy::cast_precision_loss, reason = "places on a ruler are small")]
fn on_ruler(thing: &str, (start, end): (i64, i64)) -> Figure {
    let length = u32::try_from(end / 2 + 2).unwrap_or(15);
    Figure::Ruler { length, thing: [start as f64 / 2.0, end as f64 / 2.0], label: thing.into() }
}

fn read_off(prompt: String, (start, end): (i64, i64)) -> Posed {
    let (from, to, length) = (halves(start), halves(end), halves(end - start));
    let typed = format!("{to} - {from}");
    let mut posed = Posed::value(prompt, line(&typed), line(&length), Form::Any).unit("cm");
    if start > 0 {
        posed = posed.slip(to.clone(), slip::END_READ_ONLY);
    }
    if end % 2 == 1 {
        posed = posed.slip(((end - start) / 2).to_string(), slip::HALVES_FORGOTTEN);
    }
    posed = posed
        .slip(halves(end - start + 2), slip::MARKS_COUNTED)
        .slip(halves((end - start - 2).max(1)), slip::STARTED_AT_ONE)
        .near([halves(end - start + 4), halves(end + start + 2)])
        .way(
            method::END_MINUS_START,
            Lines::start(&typed).then(&length, format!("It ends at {to} and starts at {from}")),
        );
    let whole = (end - start) / 2;
    if (end - start) % 2 == 0 && whole <= 8 {
        let ones = vec!["1"; usize::try_from(whole).unwrap_or(1)].join(" + ");
        posed = posed.way(
            method::COUNT_SPACES,
            Lines::start(&typed)
                .then(&ones, "Each space is one centimetre")
                .then(&length, "Count them"),
        );
    }
    posed
}

/// Whole centimetres first, then halves.
fn from_zero(index: usize, draw: &mut Draw) -> Posed {
    let thing = *draw.one_of(THINGS);
    let end =
        if index.is_multiple_of(2) { 2 * draw.between(3, 14) } else { 2 * draw.between(2, 13) + 1 };
    read_off(
        format!(
            "A {thing} lies on a ruler. It starts at 0 and ends at {}. How many centimetres long is it?",
            halves(end)
        ),
        (0, end),
    )
    .figure(on_ruler(thing, (0, end)))
}

fn from_elsewhere(draw: &mut Draw) -> Posed {
    let thing = *draw.one_of(THINGS);
    let start = draw.between(2, 10);
    let end = start + draw.between(4, 16);
    read_off(
        format!(
            "A {thing} lies on a ruler. It starts at {} and ends at {}. How many centimetres long is it?",
            halves(start),
            halves(end)
        ),
        (start, end),
    )
    .figure(on_ruler(thing, (start, end)))
}

fn in_millimetres(draw: &mut Draw) -> Posed {
    let thing = *draw.one_of(THINGS);
    let start = draw.between(11, 49);
    let end = start + draw.between(16, 69);
    let (length, typed) = (end - start, format!("{end} - {start}"));
    Posed::value(
        format!(
            "A {thing} lies on a ruler. It starts at {} cm and ends at {} cm. How many millimetres long is it?",
            decimal(start, 1),
            decimal(end, 1)
        ),
        line(&typed),
        line(&length.to_string()),
        Form::Any,
    )
    .unit("mm")
    .slip(end.to_string(), slip::END_READ_ONLY)
    .slip((length + 1).to_string(), slip::MARKS_COUNTED)
    .slip((length + 10).to_string(), slip::STARTED_AT_ONE)
    .near([(length * 10).to_string(), (length - 10).to_string()])
    .way(
        method::END_MINUS_START,
        Lines::start(&typed).then(
            &length.to_string(),
            format!("{} cm are {end} mm, and {} cm are {start} mm", decimal(end, 1), decimal(start, 1)),
        ),
    )
}

fn two_things(draw: &mut Draw) -> Posed {
    let (first, second) = loop {
        let (a, b) = (*draw.one_of(THINGS), *draw.one_of(THINGS));
        if a != b {
            break (a, b);
        }
    };
    let (a, b) = (draw.between(1, 6), draw.between(1, 6));
    let length = draw.between(8, 14);
    let more = draw.between(1, 5);
    let (c, d) = (a + length + more, b + length);
    let typed = format!("({} - {}) - ({} - {})", halves(c), halves(a), halves(d), halves(b));
    let answer = halves(more);
    Posed::value(
        format!(
            "On a ruler, a {first} goes from {} to {} and a {second} from {} to {}. By how many centimetres is the {first} longer?",
            halves(a), halves(c), halves(b), halves(d)
        ),
        line(&typed),
        line(&answer),
        Form::Any,
    )
    .unit("cm")
    .slip(halves((c - d).abs()), slip::END_READ_ONLY)
    .slip(halves(more + 2), slip::MARKS_COUNTED)
    .near([halves(length), halves(more + 1)])
    .way(
        method::END_MINUS_START,
        Lines::start(&typed)
            .then(&format!("{} - {}", halves(length + more), halves(length)), "End minus start for each")
            .then(&answer, "Compare the two lengths"),
    )
    .answered(format!("It is {answer} cm longer."), "cm")
}

/// How far off an estimate was.
fn estimated(draw: &mut Draw) -> Posed {
    let (name, thing) = (scenario::name(draw), *draw.one_of(THINGS));
    let start = draw.between(2, 8);
    let length = draw.between(8, 20);
    let guess = loop {
        let guess = length / 2 + draw.nonzero(-3, 3);
        if 2 * guess != length {
            break 2 * guess;
        }
    };
    let (typed, off) = if guess > length {
        (
            format!("{} - ({} - {})", halves(guess), halves(start + length), halves(start)),
            guess - length,
        )
    } else {
        (
            format!("({} - {}) - {}", halves(start + length), halves(start), halves(guess)),
            length - guess,
        )
    };
    let then = if guess > length {
        format!("{} - {}", halves(guess), halves(length))
    } else {
        format!("{} - {}", halves(length), halves(guess))
    };
    Posed::value(
        format!(
            "{name} guesses that a {thing} is {} cm long. On the ruler it goes from {} to {}. How many centimetres off is the guess?",
            halves(guess), halves(start), halves(start + length)
        ),
        line(&typed),
        line(&halves(off)),
        Form::Any,
    )
    .unit("cm")
    .slip(halves((start + length - guess).abs()), slip::END_READ_ONLY)
    .slip(halves(off + 2), slip::MARKS_COUNTED)
    .near([halves(length), halves(off + 1)])
    .way(
        method::END_MINUS_START,
        Lines::start(&typed)
            .then(&then, format!("It is {} cm long", halves(length)))
            .then(&halves(off), "Compare with the guess"),
    )
    .answered(format!("The guess is {} cm off.", halves(off)), "cm")
}

/// The same length in two units that nobody agreed on.
fn other_units(draw: &mut Draw) -> Posed {
    let (name, other) = scenario::two_names(draw);
    let (thing, small, large) = *draw.one_of(&[
        ("bench", "clothes pegs", "pencils"),
        ("shelf", "jar lids", "frames"),
        ("path", "feet", "steps"),
    ]);
    let k = draw.between(2, 4);
    let few = draw.between(4, 12);
    let many = few * k;
    let each = if k == 2 {
        "two".to_owned()
    } else if k == 3 {
        "three".to_owned()
    } else {
        "four".to_owned()
    };
    let typed = format!("{many} ÷ {few}");
    Posed::value(
        format!(
            "{name} measures a {thing} and counts {many} {small}. {other} measures the same {thing} and counts {few} {large}. Both are right. How many of the {small} are as long as one of the {large}?"
        ),
        line(&typed),
        line(&k.to_string()),
        Form::Any,
    )
    .slip((many - few).to_string(), slip::END_READ_ONLY)
    .slip((k + 1).to_string(), slip::MARKS_COUNTED)
    .near([few.to_string(), many.to_string()])
    .way(
        method::COUNT_SPACES,
        Lines::start(&typed)
            .work(&format!("{few} × {k} = {many}"), format!("The longer the unit, the fewer are needed: {each} for one"))
            .then(&k.to_string(), "Divide"),
    )
    .answered(format!("There are {k} for one of the {large}."), "")
}
