//! Scenarios of the bee garden: who, what and how much, with grammar that is right.

pub(crate) mod own;

use teaching::draw::Draw;

/// First names of students; none belongs to anyone real.
pub const NAMES: &[&str] =
    &["Hana", "Tomas", "Imani", "Leo", "Priya", "Mateo", "Freya", "Kofi", "Sanna", "Rui"];

/// A name, drawn.
#[must_use]
pub fn name(draw: &mut Draw) -> &'static str {
    draw.one_of::<&'static str>(NAMES)
}

/// Two different names, drawn.
#[must_use]
pub fn two_names(draw: &mut Draw) -> (&'static str, &'static str) {
    let first = name(draw);
    loop {
        let second = name(draw);
        if second != first {
            return (first, second);
        }
    }
}

/// A unit or a thing that is counted, in singular and plural.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub struct Thing {
    /// One of them.
    pub one: &'static str,
    /// More of them, and none.
    pub many: &'static str,
}

impl Thing {
    /// "1 jar", "5 jars".
    #[must_use]
    pub fn counted(&self, n: i64) -> String {
        format!("{n} {}", if n == 1 { self.one } else { self.many })
    }
}

/// Two quantities that go together in one ratio.
#[derive(Debug, Clone, Copy)]
pub struct Mixture {
    /// What is going on; `{a}` and `{b}` are the two amounts with their units.
    pub setting: &'static str,
    /// The two units.
    pub units: [Thing; 2],
    /// What the two rows of a ratio table are called.
    pub rows: [&'static str; 2],
    /// Asks for the first amount when `{d}` of the second is given.
    pub asks_first: &'static str,
    /// Asks for the second amount when `{c}` of the first is given.
    pub asks_second: &'static str,
    /// The answer, with `{x}` for the amount found; first and second.
    pub answers: [&'static str; 2],
    /// Least and greatest number that could be true for each amount of the known pair.
    pub ranges: [(i64, i64); 2],
}

/// Mixtures and rates of the bee garden.
pub const MIXTURES: &[Mixture] = &[
    Mixture {
        setting: "For the autumn feed, the bee club stirs {a} of sugar into every {b} of water.",
        units: [
            Thing { one: "kilogram", many: "kilograms" },
            Thing { one: "litre", many: "litres" },
        ],
        rows: ["sugar in kg", "water in litres"],
        asks_first: "How many kilograms of sugar go into {d} of water?",
        asks_second: "How many litres of water go with {c} of sugar?",
        answers: ["They need {x} of sugar.", "They need {x} of water."],
        ranges: [(2, 5), (2, 7)],
    },
    Mixture {
        setting: "At the market stall, {a} of honey cost {b}.",
        units: [Thing { one: "jar", many: "jars" }, Thing { one: "dollar", many: "dollars" }],
        rows: ["jars", "dollars"],
        asks_first: "How many jars can be bought for {d}?",
        asks_second: "What do {c} cost at the same price?",
        answers: ["{x} can be bought.", "They cost {x}."],
        ranges: [(2, 5), (7, 24)],
    },
    Mixture {
        setting: "{name} melts {a} of beeswax with {b} of coconut oil to make hand balm.",
        units: [Thing { one: "gram", many: "grams" }, Thing { one: "gram", many: "grams" }],
        rows: ["beeswax in g", "oil in g"],
        asks_first: "How much beeswax goes with {d} of oil?",
        asks_second: "How much oil goes with {c} of beeswax?",
        answers: ["{name} needs {x} of beeswax.", "{name} needs {x} of oil."],
        ranges: [(10, 40), (15, 60)],
    },
    Mixture {
        setting: "In the bee garden, {a} of honeycomb give about {b} of honey.",
        units: [
            Thing { one: "frame", many: "frames" },
            Thing { one: "kilogram", many: "kilograms" },
        ],
        rows: ["frames", "honey in kg"],
        asks_first: "How many frames give {d} of honey?",
        asks_second: "How much honey do {c} give?",
        answers: ["{x} give that much honey.", "They give {x} of honey."],
        ranges: [(2, 6), (3, 11)],
    },
    Mixture {
        setting: "Bees of one hive visit {a} of heather in {b}.",
        units: [Thing { one: "patch", many: "patches" }, Thing { one: "minute", many: "minutes" }],
        rows: ["patches", "minutes"],
        asks_first: "How many patches do they visit in {d} at this rate?",
        asks_second: "How long do they take for {c} at this rate?",
        answers: ["They visit {x}.", "They take {x}."],
        ranges: [(2, 6), (5, 18)],
    },
];

/// A start and a steady change: `a·n + b = c`.
#[derive(Debug, Clone, Copy)]
pub struct Steady {
    /// The story; `{a}`, `{b}` and `{c}` are numbers.
    pub story: &'static str,
    /// What the letter stands for.
    pub defines: &'static str,
    /// The unit of the answer.
    pub unit: Thing,
    /// The answer, with `{x}` for it with its unit.
    pub answer: &'static str,
    /// Ranges of `a`, `b` and the answer.
    pub ranges: [(i64, i64); 3],
}

/// Steady changes of the bee garden.
pub const STEADY: &[Steady] = &[
    Steady {
        story: "{name} packs honey for the market. {a} full crates and {b} loose jars make {c} jars \
                in all. Every crate holds the same number of jars. How many jars does one crate hold?",
        defines: "Let $n$ be the number of jars in one crate",
        unit: Thing { one: "jar", many: "jars" },
        answer: "One crate holds {x}.",
        ranges: [(3, 9), (2, 11), (6, 24)],
    },
    Steady {
        story: "An empty hive box weighs {b} kg. With {a} frames of honey in it, all equally heavy, \
                the hive scale shows {c} kg. What does one frame weigh?",
        defines: "Let $n$ be the weight of one frame in kilograms",
        unit: Thing { one: "kilogram", many: "kilograms" },
        answer: "One frame weighs {x}.",
        ranges: [(4, 10), (6, 14), (2, 4)],
    },
    Steady {
        story: "{name} has {b} dollars saved for a bee suit and earns {a} dollars for each afternoon \
                of help at the stall. The suit costs {c} dollars. How many afternoons of help does it \
                take?",
        defines: "Let $n$ be the number of afternoons",
        unit: Thing { one: "afternoon", many: "afternoons" },
        answer: "It takes {x} of help.",
        ranges: [(6, 12), (10, 40), (4, 12)],
    },
    Steady {
        story: "A colony starts the spring with {b} frames of bees. It grows by {a} frames every week \
                and fills {c} frames now. How many weeks have passed?",
        defines: "Let $n$ be the number of weeks",
        unit: Thing { one: "week", many: "weeks" },
        answer: "{x} have passed.",
        ranges: [(2, 3), (3, 6), (3, 7)],
    },
];

/// Two steady changes that meet: `a·n + b = c·n + d`.
#[derive(Debug, Clone, Copy)]
pub struct Meeting {
    /// The story; `{a}`, `{b}`, `{c}`, `{d}` are numbers, `{name}` and `{other}` are people.
    pub story: &'static str,
    /// What the letter stands for.
    pub defines: &'static str,
    /// The unit of the answer.
    pub unit: Thing,
    /// The answer, with `{x}` for it with its unit.
    pub answer: &'static str,
}

/// Meetings in the bee garden.
pub const MEETINGS: &[Meeting] = &[
    Meeting {
        story: "{name} has {b} beeswax candles ready and makes {a} more each day. {other} has {d} \
                ready and makes {c} more each day. After how many days do they have equally many?",
        defines: "Let $n$ be the number of days",
        unit: Thing { one: "day", many: "days" },
        answer: "They have equally many after {x}.",
    },
    Meeting {
        story: "The oak hive holds {b} kg of honey and gains {a} kg a week. The clover hive holds \
                {d} kg and gains {c} kg a week. After how many weeks do they hold the same?",
        defines: "Let $n$ be the number of weeks",
        unit: Thing { one: "week", many: "weeks" },
        answer: "They hold the same after {x}.",
    },
    Meeting {
        story: "{name} has sold {b} jars and sells {a} more each hour. {other} has sold {d} jars and \
                sells {c} more each hour. After how many hours have they sold equally many?",
        defines: "Let $n$ be the number of hours",
        unit: Thing { one: "hour", many: "hours" },
        answer: "They have sold equally many after {x}.",
    },
];

/// Puts values into a template; every `{key}` is replaced.
#[must_use]
pub fn fill(template: &str, values: &[(&str, &str)]) -> String {
    let words: Vec<&str> = template.split_whitespace().collect();
    values
        .iter()
        .fold(words.join(" "), |text, (key, value)| text.replace(&format!("{{{key}}}"), value))
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn one_is_singular_and_templates_leave_no_gap() {
        let jar = Thing { one: "jar", many: "jars" };
        assert_eq!((jar.counted(1), jar.counted(12)), ("1 jar".into(), "12 jars".into()));
        assert_eq!(fill("{name} has {a}.", &[("name", "Leo"), ("a", "3 jars")]), "Leo has 3 jars.");
    }
}
