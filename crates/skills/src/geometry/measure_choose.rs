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

/// Something that is about one of a unit.
struct Benchmark {
    thing: &'static str,
    says: &'static str,
}

/// A quantity: its units from small to large, each with something that is about one of them.
struct Quantity {
    units: [&'static str; 3],
    /// Plural words, as they are said.
    said: [&'static str; 3],
    benchmarks: [Benchmark; 3],
    /// How many of each unit make one of the next.
    steps: [i64; 2],
}

const LENGTH: Quantity = Quantity {
    units: ["mm", "cm", "m"],
    said: ["millimetres", "centimetres", "metres"],
    benchmarks: [
        Benchmark { thing: "a grain of sugar", says: "A grain of sugar is about 1 mm." },
        Benchmark { thing: "a fingernail", says: "A fingernail is about 1 cm wide." },
        Benchmark { thing: "a big step", says: "A big step is about 1 m." },
    ],
    steps: [10, 100],
};

const MASS: Quantity = Quantity {
    units: ["mg", "g", "kg"],
    said: ["milligrams", "grams", "kilograms"],
    benchmarks: [
        Benchmark { thing: "a grain of pollen mix", says: "A grain of pollen mix is about 1 mg." },
        Benchmark { thing: "a paper clip", says: "A paper clip is about 1 g." },
        Benchmark { thing: "a litre of water", says: "A litre of water is 1 kg." },
    ],
    steps: [1000, 1000],
};

const VOLUME: Quantity = Quantity {
    units: ["mL", "cL", "L"],
    said: ["millilitres", "centilitres", "litres"],
    benchmarks: [
        Benchmark { thing: "twenty drops", says: "Twenty drops are about 1 mL." },
        Benchmark { thing: "a tablespoon", says: "A tablespoon is about 1 cL." },
        Benchmark { thing: "a carton of milk", says: "A carton of milk is 1 L." },
    ],
    steps: [10, 100],
};

/// What of which thing is measured, its kind, the unit that fits (0 to 2), about how many of it, and the tool.
struct Object {
    size: &'static str,
    thing: &'static str,
    kind: &'static Quantity,
    fits: usize,
    about: i64,
    tool: &'static str,
}

const OBJECTS: &[Object] = &[
    Object {
        size: "the length of",
        thing: "a bee",
        kind: &LENGTH,
        fits: 0,
        about: 13,
        tool: "a ruler",
    },
    Object {
        size: "the width of",
        thing: "a wax cell",
        kind: &LENGTH,
        fits: 0,
        about: 5,
        tool: "a ruler",
    },
    Object {
        size: "the length of",
        thing: "a pencil",
        kind: &LENGTH,
        fits: 1,
        about: 17,
        tool: "a ruler",
    },
    Object {
        size: "the height of",
        thing: "a honey jar",
        kind: &LENGTH,
        fits: 1,
        about: 12,
        tool: "a ruler",
    },
    Object {
        size: "the width of",
        thing: "a hive",
        kind: &LENGTH,
        fits: 1,
        about: 45,
        tool: "a tape measure",
    },
    Object {
        size: "the length of",
        thing: "the garden fence",
        kind: &LENGTH,
        fits: 2,
        about: 60,
        tool: "a tape measure",
    },
    Object {
        size: "the height of",
        thing: "the lime tree",
        kind: &LENGTH,
        fits: 2,
        about: 18,
        tool: "a tape measure",
    },
    Object {
        size: "the length of",
        thing: "the honey room",
        kind: &LENGTH,
        fits: 2,
        about: 7,
        tool: "a tape measure",
    },
    Object {
        size: "the mass of",
        thing: "a bee",
        kind: &MASS,
        fits: 0,
        about: 100,
        tool: "a letter scale",
    },
    Object {
        size: "the mass of",
        thing: "a queen cage",
        kind: &MASS,
        fits: 1,
        about: 12,
        tool: "a letter scale",
    },
    Object {
        size: "the mass of",
        thing: "a full jar of honey",
        kind: &MASS,
        fits: 1,
        about: 700,
        tool: "a kitchen scale",
    },
    Object {
        size: "the mass of",
        thing: "a candle",
        kind: &MASS,
        fits: 1,
        about: 80,
        tool: "a kitchen scale",
    },
    Object {
        size: "the mass of",
        thing: "a full hive",
        kind: &MASS,
        fits: 2,
        about: 45,
        tool: "a hive scale",
    },
    Object {
        size: "the mass of",
        thing: "a sack of sugar",
        kind: &MASS,
        fits: 2,
        about: 25,
        tool: "a hive scale",
    },
    Object {
        size: "the dew in",
        thing: "one flower cup",
        kind: &VOLUME,
        fits: 0,
        about: 2,
        tool: "a dropper",
    },
    Object {
        size: "the water in",
        thing: "a bee bath",
        kind: &VOLUME,
        fits: 2,
        about: 3,
        tool: "a measuring jug",
    },
    Object {
        size: "the feed in",
        thing: "a bucket",
        kind: &VOLUME,
        fits: 2,
        about: 8,
        tool: "a measuring jug",
    },
    Object {
        size: "the syrup on",
        thing: "a spoon",
        kind: &VOLUME,
        fits: 0,
        about: 15,
        tool: "a dropper",
    },
];

impl Object {
    fn what(&self) -> String {
        format!("{} {}", self.size, self.thing)
    }

    fn benchmark(&self) -> &'static Benchmark {
        &self.kind.benchmarks[self.fits]
    }

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
        let known = self.benchmark().thing;
        let things = vec![mark(1.0, known), mark(self.about as f64, self.thing)];
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
    let lines = lines.say(object.benchmark().says, "A benchmark");
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
        format!("{name} measures {}. Which unit fits best?", object.what()),
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
            object.what(),
            object.about
        ),
        answer,
        vec![measured(&claim)],
    )
    .slip(other, if is_sensible { slip::UNIT_TOO_LARGE } else { object.slip_of(told) })
    .way(
        method::BENCHMARKS,
        Lines::measured()
            .say(object.kind.benchmarks[told].says, "A benchmark")
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
        format!("{name} measures {}. Which tool does {name} take?", object.what()),
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
