//! Converting units.
//!
//! Method: one scale factor. What counts as nice: steps of ten, a hundred, a thousand.

use crate::kit::*;

/// The skill `measure.convert`.
pub struct MeasureConvert;

slips! {
    CONVERTED_THE_WRONG_WAY = "converted-the-wrong-way": "Are there more of the small units, or fewer?",
        "Multiplies where it should divide, or the other way round.";
    POWER_OF_TEN_OFF = "power-of-ten-off": "How many of the small units make one of the large?",
        "Uses the wrong power of ten.";
}

methods! {
    SCALE_FACTOR = "scale-factor": "Scale factor",
    PLACE_VALUE_TABLE = "place-value-table": "Place-value table",
}

impl Skill for MeasureConvert {
    fn card(&self) -> Card {
        Card {
            id: "measure.convert",
            strand: Strand::Geometry,
            grades: (3, 6),
            title: "Converting units",
            objective: "I can write a length, a mass or a volume in another unit.",
            vocabulary: terms![
                "unit": "what is counted when something is measured",
                "convert": "write the same amount in another unit",
                "kilo": "a thousand of",
            ],
            methods: METHODS,
        }
    }

    fn slips(&self) -> &'static [&'static dyn Slip] {
        SLIPS
    }

    fn pose(&self, stage: Stage, index: usize, draw: &mut Draw) -> Posed {
        match (stage, index % 3) {
            (Stage::Grip, _) => bare(index, draw),
            (Stage::Tilt, _) => larger(draw),
            (Stage::Climb, _) => story(draw),
        }
    }
}

/// Large unit, small unit, how many small ones make a large one.
const PAIRS: &[(&str, &str, i64)] =
    &[("cm", "mm", 10), ("m", "cm", 100), ("km", "m", 1000), ("kg", "g", 1000), ("L", "mL", 1000)];

/// The units of the same kind as stairs, with the way from one to another.
fn stairs(large: &str, small: &str, down: bool) -> Option<Figure> {
    const STAIRS: [(&[&str], &[&str]); 3] = [
        (&["km", "m", "cm", "mm"], &["1000", "100", "10"]),
        (&["kg", "g"], &["1000"]),
        (&["L", "mL"], &["1000"]),
    ];
    let (units, factors) = STAIRS.into_iter().find(|(units, _)| units.contains(&large))?;
    let at = |unit: &str| units.iter().position(|known| *known == unit).map(|at| at as u32);
    let (top, low) = (at(large)?, at(small)?);
    let all = |texts: &[&str]| texts.iter().map(|&text| text.to_owned()).collect();
    let way = if down { [top, low] } else { [low, top] };
    Some(Figure::UnitStairs { units: all(units), factors: all(factors), way })
}

fn converted(prompt: String, (large, small, k): (&str, &str, i64), n: i64, down: bool) -> Posed {
    // n small units; the large ones with their decimals.
    let places = k.to_string().len() as u32 - 1;
    let big = decimal(n, places);
    let (from, to) = if down {
        (format!("{big} {large}"), format!("{n} {small}"))
    } else {
        (format!("{n} {small}"), format!("{big} {large}"))
    };
    let unit = if down { small } else { large };
    let (sign, value) = if down { ('×', &big) } else { ('÷', &n.to_string()) };
    let value = value.clone();
    let wrong = if down { decimal(n, 2 * places) } else { (n * k).to_string() };
    let off = if down { (n * 10).to_string() } else { decimal(n, places + 1) };
    Posed::value(prompt, measured(&from), measured(&to), Form::Any)
        .unit(unit)
        .slip(format!("{wrong} {unit}"), slip::CONVERTED_THE_WRONG_WAY)
        .slip(format!("{off} {unit}"), slip::POWER_OF_TEN_OFF)
        .near([
            format!("{} {unit}", if down { decimal(n, 1) } else { decimal(n * 10, places) }),
            format!("{} {unit}", if down { (n * 100).to_string() } else { decimal(n, places + 2) }),
        ])
        .way(
            method::SCALE_FACTOR,
            Lines::start_measured(&from)
                .work(
                    &format!("1 {large} = {k} {small}"),
                    "How many small units make one large unit",
                )
                .then(
                    &to,
                    format!(
                        "{value} {sign} {k}: {}",
                        if down {
                            "there are more small units"
                        } else {
                            "there are fewer large units"
                        }
                    ),
                ),
        )
        .grows(method::SCALE_FACTOR, stairs(large, small, down).map(|figure| (1, figure)))
        .way(
            method::PLACE_VALUE_TABLE,
            Lines::start_measured(&from).then(
                &to,
                format!(
                    "Move the point {} places to the {}",
                    places,
                    if down { "right" } else { "left" }
                )
                .replace("1 places", "1 place"),
            ),
        )
}

/// Large to small, then small to large.
fn bare(index: usize, draw: &mut Draw) -> Posed {
    let pair = PAIRS[index % PAIRS.len()];
    let down = (index / 2).is_multiple_of(2);
    let n = draw.between(2, 99) * (pair.2 / 10).max(1);
    let big = decimal(n, pair.2.to_string().len() as u32 - 1);
    let (from, unit) = if down {
        (format!("{big} {}", pair.0), pair.1)
    } else {
        (format!("{n} {}", pair.1), pair.0)
    };
    converted(format!("Write {from} in {unit}."), pair, n, down)
}

fn larger(draw: &mut Draw) -> Posed {
    let (large, small, k) = *draw.one_of(PAIRS);
    let n = draw.between(12, 95) * (k / 10).max(1);
    let off = draw.nonzero(-4, 4) * (k / 10).max(1);
    let big = decimal(n, k.to_string().len() as u32 - 1);
    let (a, b) = (format!("{big} {large}"), format!("{} {small}", n + off));
    let (right, wrong) = if off < 0 { (a.clone(), b.clone()) } else { (b.clone(), a.clone()) };
    let number = if off < 0 { format!("{n} > {}", n + off) } else { format!("{} > {n}", n + off) };
    Posed::shown(
        format!("Which is more: {a} or {b}?"),
        right.clone(),
        vec![line(&number), measured(&format!("{a} = {n} {small}"))],
    )
    .slip(wrong, slip::POWER_OF_TEN_OFF)
    .way(
        method::SCALE_FACTOR,
        Lines::measured()
            .work(&format!("{a} = {n} {small}"), "Write both in one unit")
            .work(&number, format!("Compare the numbers of {small}"))
            .end(format!("{right} is more.")),
    )
}

fn story(draw: &mut Draw) -> Posed {
    let name = scenario::name(draw);
    let count = draw.between(3, 9);
    let (pair, each, thing) = *draw.one_of(&[
        (("kg", "g", 1000), 250, "jars of honey"),
        (("m", "cm", 100), 35, "wicks"),
        (("L", "mL", 1000), 450, "bottles of mead vinegar"),
        (("km", "m", 1000), 850, "rounds of the meadow"),
    ]);
    let total = count * each;
    let (large, small, k) = pair;
    let big = decimal(total, i64::to_string(&k).len() as u32 - 1);
    let unit = large;
    let (from, to) = (format!("{count} × {each} {small}"), format!("{big} {large}"));
    Posed::value(
        format!(
            "{name} plans {count} {thing} of {each} {small} each. How many {unit} is that in all?"
        ),
        measured(&from),
        measured(&to),
        Form::Any,
    )
    .unit(unit)
    .slip(format!("{} {unit}", total * 10), slip::CONVERTED_THE_WRONG_WAY)
    .slip(
        format!("{} {unit}", decimal(total, i64::to_string(&k).len() as u32)),
        slip::POWER_OF_TEN_OFF,
    )
    .near([
        format!("{total} {unit}"),
        format!("{} {unit}", decimal(total + each, i64::to_string(&k).len() as u32 - 1)),
    ])
    .way(
        method::SCALE_FACTOR,
        Lines::start_measured(&from)
            .then(&format!("{total} {small}"), "Multiply first")
            .then(&to, format!("Divide by {k}: there are fewer large units")),
    )
    .grows(method::SCALE_FACTOR, stairs(large, small, false).map(|figure| (2, figure)))
}
