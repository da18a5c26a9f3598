//! Choosing a unit and a tool.
//!
//! Method: think of something of that size that is known well. What counts as nice: things of the bee garden whose size
//! everybody can show with their hands.

use crate::kit::*;
use teaching::figure::Mark;

/// The skill `measure.choose`.
pub struct Choose;

slips! {
    UNIT_TOO_SMALL = "unit-too-small": "How many of those would it take?",
        "Chooses a unit that is far too small.";
    UNIT_TOO_LARGE = "unit-too-large": "Would it be more than one of those?",
        "Chooses a unit that is far too large.";
    WRONG_KIND_OF_UNIT = "wrong-kind-of-unit": "Is it a length, a mass or an amount that is poured?",
        "Chooses a unit for another kind of quantity.";
}

methods! {
    BENCHMARKS = "benchmarks": "Benchmarks",
}

impl Skill for Choose {
    fn card(&self) -> Card {
        Card {
            id: "measure.choose",
            strand: Strand::Geometry,
            grades: (1, 4),
            title: "Choosing units and tools",
            objective: "I can choose a unit and a tool that fit what I measure.",
            vocabulary: terms![
                "unit": "what is counted when something is measured",
                "tool": "what it is measured with",
                "benchmark": "something whose size you know well",
                "estimate": "say about how much, before measuring",
            ],
            methods: METHODS,
        }
    }

    fn slips(&self) -> &'static [&'static dyn Slip] {
        SLIPS
    }

    fn pose(&self, stage: Stage, index: usize, draw: &mut Draw) -> Posed {
        match (stage, index % 3) {
            (Stage::Grip, _) => unit(index, draw),
            (Stage::Tilt, _) => sensible(draw),
            (Stage::Climb, 2) => tool(draw),
            (Stage::Climb, _) => plan(draw),
        }
    }
}

/// A quantity: its units from small to large, each with something that is about one of them.
struct Quantity {
    units: [&'static str; 3],
    /// Plural words, as they are said.
    said: [&'static str; 3],
    benchmarks: [&'static str; 3],
    /// How many of each unit make one of the next.
    steps: [i64; 2],
}

const LENGTH: Quantity = Quantity {
    units: ["mm", "cm", "m"],
    said: ["millimetres", "centimetres", "metres"],
    benchmarks: [
        "A grain of sugar is about 1 mm.",
        "A fingernail is about 1 cm wide.",
        "A big step is about 1 m.",
    ],
    steps: [10, 100],
};

const MASS: Quantity = Quantity {
    units: ["mg", "g", "kg"],
    said: ["milligrams", "grams", "kilograms"],
    benchmarks: [
        "A grain of pollen mix is about 1 mg.",
        "A paper clip is about 1 g.",
        "A litre of water is 1 kg.",
    ],
    steps: [1000, 1000],
};

const VOLUME: Quantity = Quantity {
    units: ["mL", "cL", "L"],
    said: ["millilitres", "centilitres", "litres"],
    benchmarks: [
        "Twenty drops are about 1 mL.",
        "A tablespoon is about 1 cL.",
        "A carton of milk is 1 L.",
    ],
    steps: [10, 100],
};

/// What is measured, its kind, the unit that fits (0 to 2), about how many of it, and the tool.
struct Object {
    what: &'static str,
    kind: &'static Quantity,
    fits: usize,
    about: i64,
    tool: &'static str,
}

const OBJECTS: &[Object] = &[
    Object { what: "the length of a bee", kind: &LENGTH, fits: 0, about: 13, tool: "a ruler" },
    Object { what: "the width of a wax cell", kind: &LENGTH, fits: 0, about: 5, tool: "a ruler" },
    Object { what: "the length of a pencil", kind: &LENGTH, fits: 1, about: 17, tool: "a ruler" },
    Object {
        what: "the height of a honey jar",
        kind: &LENGTH,
        fits: 1,
        about: 12,
        tool: "a ruler",
    },
    Object {
        what: "the width of a hive",
        kind: &LENGTH,
        fits: 1,
        about: 45,
        tool: "a tape measure",
    },
    Object {
        what: "the length of the garden fence",
        kind: &LENGTH,
        fits: 2,
        about: 60,
        tool: "a tape measure",
    },
    Object {
        what: "the height of the lime tree",
        kind: &LENGTH,
        fits: 2,
        about: 18,
        tool: "a tape measure",
    },
    Object {
        what: "the length of the honey room",
        kind: &LENGTH,
        fits: 2,
        about: 7,
        tool: "a tape measure",
    },
    Object { what: "the mass of a bee", kind: &MASS, fits: 0, about: 100, tool: "a letter scale" },
    Object {
        what: "the mass of a queen cage",
        kind: &MASS,
        fits: 1,
        about: 12,
        tool: "a letter scale",
    },
    Object {
        what: "the mass of a full jar of honey",
        kind: &MASS,
        fits: 1,
        about: 700,
        tool: "a kitchen scale",
    },
    Object {
        what: "the mass of a candle",
        kind: &MASS,
        fits: 1,
        about: 80,
        tool: "a kitchen scale",
    },
    Object {
        what: "the mass of a full hive",
        kind: &MASS,
        fits: 2,
        about: 45,
        tool: "a hive scale",
    },
    Object {
        what: "the mass of a sack of sugar",
        kind: &MASS,
        fits: 2,
        about: 25,
        tool: "a hive scale",
    },
    Object {
        what: "the dew in one flower cup",
        kind: &VOLUME,
        fits: 0,
        about: 2,
        tool: "a dropper",
    },
    Object {
        what: "the water in a bee bath",
        kind: &VOLUME,
        fits: 2,
        about: 3,
        tool: "a measuring jug",
    },
    Object {
        what: "the feed in a bucket",
        kind: &VOLUME,
        fits: 2,
        about: 8,
        tool: "a measuring jug",
    },
    Object { what: "the syrup on a spoon", kind: &VOLUME, fits: 0, about: 15, tool: "a dropper" },
];

impl Object {
    /// What shows that the unit fits: there is more than one of it, and a larger one would be a part of one, or a
    /// smaller one would make a large number.
    fn claims(&self) -> Vec<(String, String)> {
        let (about, unit) = (self.about, self.kind.units[self.fits]);
        let right = format!("{about} {} is about right", self.kind.said[self.fits]);
        let mut found = vec![(format!("{about} {unit} > 1 {unit}"), right)];
        if self.fits == 2 {
            let (small, said) = (self.kind.units[1], self.kind.said[1]);
            let many = about * self.kind.steps[1];
            found.push((
                format!("{about} {unit} = {many} {small}"),
                format!("In {said} the number would be large"),
            ));
        } else {
            let (large, said) = (self.kind.units[2], self.kind.said[2]);
            found.push((
                format!("{about} {unit} < 1 {large}"),
                format!("In {said} it would not be one"),
            ));
        }
        found
    }

    /// The claims alone.
    fn shown(&self) -> Vec<algebra::Line> {
        self.claims().iter().map(|(claim, _)| measured(claim)).collect()
    }

    /// The object beside the benchmarks of its units, drawn to one scale; the claims stand from line 1 on.
    #[expect(clippy::cast_precision_loss, reason = "lengths of a drawing are small")]
    fn to_scale(&self) -> [(usize, Figure); 1] {
        let unit = self.kind.units[self.fits];
        let mark = |at: f64, label: &str| Mark { at, label: label.into() };
        let what = self
            .what
            .split_once(" of ")
            .or_else(|| self.what.split_once(" in "))
            .map_or(self.what, |(_, what)| what);
        // "A fingernail is about 1 cm wide."
        let benchmark = self.kind.benchmarks[self.fits];
        let known = benchmark.split(" is ").next().and_then(|text| text.split(" are ").next());
        let known = known.unwrap_or_default().to_lowercase();
        let things = vec![mark(1.0, &known), mark(self.about as f64, what)];
        [(1, Figure::ToScale { things, unit: unit.into() })]
    }

    fn slip_of(&self, unit: usize) -> SlipId {
        if unit < self.fits { slip::UNIT_TOO_SMALL } else { slip::UNIT_TOO_LARGE }
    }
}

fn object(draw: &mut Draw) -> &'static Object {
    draw.one_of(OBJECTS)
}

fn with_claims(lines: Lines, object: &Object) -> Lines {
    let lines = lines.say(object.kind.benchmarks[object.fits], "A benchmark");
    object.claims().iter().fold(lines, |lines, (claim, why)| lines.work(claim, why.as_str()))
}

fn unit(index: usize, draw: &mut Draw) -> Posed {
    // Length first, then mass and what is poured.
    let object = loop {
        let object = object(draw);
        if index > 2 || std::ptr::eq(object.kind, &LENGTH) {
            break object;
        }
    };
    let others: Vec<usize> = (0..3).filter(|unit| *unit != object.fits).collect();
    let stranger = if std::ptr::eq(object.kind, &MASS) { "litres" } else { "kilograms" };
    let answer = object.kind.said[object.fits];
    let name = scenario::name(draw);
    Posed::shown(
        format!("{name} measures {}. Which unit fits best?", object.what),
        answer,
        object.shown(),
    )
    .slip(object.kind.said[others[0]], object.slip_of(others[0]))
    .slip(object.kind.said[others[1]], object.slip_of(others[1]))
    .slip(stranger, slip::WRONG_KIND_OF_UNIT)
    .grows(method::BENCHMARKS, object.to_scale())
    .way(
        method::BENCHMARKS,
        with_claims(Lines::measured(), object).end(format!("The unit that fits is {answer}.")),
    )
}

/// Silly or sensible?
fn sensible(draw: &mut Draw) -> Posed {
    let object = object(draw);
    let name = scenario::name(draw);
    let is_sensible = draw.coin();
    let told = if is_sensible {
        object.fits
    } else {
        loop {
            let other = usize::try_from(draw.between(0, 2)).unwrap_or(0);
            if other != object.fits {
                break other;
            }
        }
    };
    let (unit, said) = (object.kind.units[told], object.kind.said[told]);
    let claim = if is_sensible {
        object.claims()[0].0.clone()
    } else {
        let right = object.kind.units[object.fits];
        let sign = if told < object.fits { '<' } else { '>' };
        format!("{} {unit} {sign} {} {right}", object.about, object.about)
    };
    let (answer, other) = if is_sensible { ("sensible", "silly") } else { ("silly", "sensible") };
    let why = if is_sensible { "That is about right" } else { "That is nowhere near it" };
    Posed::shown(
        format!(
            "{name} says: “For {} I wrote {} {said}.” Is that silly or sensible?",
            object.what, object.about
        ),
        answer,
        vec![measured(&claim)],
    )
    .slip(other, if is_sensible { slip::UNIT_TOO_LARGE } else { object.slip_of(told) })
    .way(
        method::BENCHMARKS,
        Lines::measured()
            .say(object.kind.benchmarks[told], "A benchmark")
            .work(&claim, why)
            .end(format!("It is {answer}.")),
    )
}

fn tool(draw: &mut Draw) -> Posed {
    let object = object(draw);
    let mut tools: Vec<&str> = Vec::new();
    for other in OBJECTS {
        if other.tool != object.tool && !tools.contains(&other.tool) {
            tools.push(other.tool);
        }
    }
    let name = scenario::name(draw);
    let kind = |tool: &str| OBJECTS.iter().find(|other| other.tool == tool).map(|other| other.kind);
    let same_kind = |tool: &&str| kind(tool).is_some_and(|kind| std::ptr::eq(kind, object.kind));
    let (near, far): (Vec<&str>, Vec<&str>) = tools.iter().partition(|tool| same_kind(tool));
    let mut posed = Posed::shown(
        format!("{name} measures {}. Which tool does {name} take?", object.what),
        object.tool,
        object.shown(),
    );
    for tool in far.into_iter().take(2) {
        posed = posed.slip(tool, slip::WRONG_KIND_OF_UNIT);
    }
    for tool in near.into_iter().take(1) {
        posed = posed.slip(tool, slip::UNIT_TOO_LARGE);
    }
    posed.grows(method::BENCHMARKS, object.to_scale()).way(
        method::BENCHMARKS,
        with_claims(Lines::measured(), object).end(format!("The tool is {}.", object.tool)),
    )
}

/// Many of a thing in a row: which unit will the whole be told in, and how many of it?
fn plan(draw: &mut Draw) -> Posed {
    let (thing, each, small, large, k) = *draw.one_of(&[
        ("hives stand side by side. Each is 45 cm wide", 45, "cm", "m", 100),
        ("jars of 450 g go into a crate", 450, "g", "kg", 1000),
        ("bottles of 250 mL are filled from a bucket", 250, "mL", "L", 1000),
        ("candles are 15 cm long each and lie end to end", 15, "cm", "m", 100),
    ]);
    let count = loop {
        let count = draw.between(6, 24) * 2;
        if count * each > k {
            break count;
        }
    };
    let total = count * each;
    let places = u32::try_from(k.to_string().len()).unwrap_or(3) - 1;
    let big = decimal(total, places);
    let (from, to) = (format!("{count} × {each} {small}"), format!("{big} {large}"));
    Posed::value(
        format!("{count} {thing}. Write how much that is in all, in {large}."),
        measured(&from),
        measured(&to),
        Form::Any,
    )
    .unit(large)
    .slip(format!("{total} {large}"), slip::UNIT_TOO_LARGE)
    .slip(format!("{} {large}", decimal(total, places + 1)), slip::UNIT_TOO_SMALL)
    .near([
        format!("{} {large}", decimal(total * 10, places)),
        format!("{} {large}", decimal(total + each, places)),
    ])
    .way(
        method::BENCHMARKS,
        Lines::start_measured(&from)
            .then(&format!("{total} {small}"), "Multiply")
            .then(&to, format!("{k} {small} make 1 {large}")),
    )
}
