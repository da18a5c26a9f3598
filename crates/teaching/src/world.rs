//! The world of a problem: the quantities that stand behind its words, and the formulas that hold between them.
//!
//! A problem about a bare expression or equation has none: it is its line.

use crate::formulas::Formula;
use algebra::step::exact_value;
use algebra::{Expr, Line, Rational, StepVerdict, judge_alone, read_line};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

/// What part a quantity has in its problem.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum QuantityPart {
    /// It stands in the words or the figure.
    Given,
    /// It is asked for.
    Asked,
    /// It lies between what is given and what is asked.
    Between,
    /// It stands there and is not needed.
    Distracts,
}

/// A quantity of a problem.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct Quantity {
    /// What a class calls it: "base", "number of jars".
    pub name: String,
    /// Its usual letter or word in a formula; empty where it has none.
    #[serde(default, skip_serializing_if = "String::is_empty")]
    pub letter: String,
    /// Its exact value, as it is typed.
    pub value: String,
    /// The unit that the value is in.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub unit: Option<String>,
    /// Its part in the problem.
    pub part: QuantityPart,
}

impl Quantity {
    /// Its value; none when it cannot be read, as from a file that was written by hand.
    #[must_use]
    pub fn value(&self) -> Option<Expr> {
        match read_line(&self.value).ok()?.line {
            Line::Expression(value) => Some(value),
            _ => None,
        }
    }

    /// Its value, where that is rational.
    #[must_use]
    pub fn number(&self) -> Option<Rational> {
        exact_value(&self.value()?)
    }

    /// Its name within a sentence: "the base", "one part".
    #[must_use]
    pub fn told(&self) -> String {
        let is_one = ["one ", "ten ", "half "].iter().any(|word| self.name.starts_with(word));
        if is_one { self.name.clone() } else { format!("the {}", self.name) }
    }

    /// Whether a class means it by that letter or word.
    #[must_use]
    pub fn is_called(&self, word: &str) -> bool {
        !word.is_empty() && (self.letter == word || self.name.to_lowercase() == word.to_lowercase())
    }
}

/// A formula that holds in a world.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct Law {
    /// It in letters, as it is typed.
    pub typed: String,
    /// It for typesetting.
    pub latex: String,
    /// What it gives, as it is said above a working.
    pub says: String,
}

impl Law {
    /// It as mathematics.
    #[must_use]
    pub fn read(&self) -> Option<Line> {
        Some(read_line(&self.typed).ok()?.line)
    }
}

/// The quantities of a problem and what holds between them.
#[derive(Debug, Clone, Default, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[schema(as = ProblemWorld)]
pub struct World {
    /// The quantities, in the order in which the problem names them.
    pub quantities: Vec<Quantity>,
    /// The formulas; a working begins with the first one that its first line puts numbers into.
    #[serde(default, skip_serializing_if = "Vec::is_empty")]
    pub laws: Vec<Law>,
}

impl World {
    /// A world without formulas.
    #[must_use]
    pub fn new() -> Self {
        Self::default()
    }

    /// A world in which a formula of the trade holds.
    #[must_use]
    pub fn by(formula: Formula) -> Self {
        Self::default().and_by(formula)
    }

    /// With another formula.
    #[must_use]
    pub fn and_by(mut self, formula: Formula) -> Self {
        let Formula { typed, latex, says } = formula;
        self.laws.push(Law { typed: typed.into(), latex: latex.into(), says: says.into() });
        self
    }

    fn with(
        mut self,
        part: QuantityPart,
        name: &str,
        letter: &str,
        value: String,
        unit: &str,
    ) -> Self {
        self.quantities.push(Quantity {
            name: name.into(),
            letter: letter.into(),
            value,
            unit: (!unit.is_empty()).then(|| unit.into()),
            part,
        });
        self
    }

    /// With a quantity that is given: its name, letter, value as it is typed, and unit; an empty text for none.
    #[must_use]
    pub fn given(self, name: &str, letter: &str, value: impl ToString, unit: &str) -> Self {
        self.with(QuantityPart::Given, name, letter, value.to_string(), unit)
    }

    /// With the one that is asked for.
    #[must_use]
    pub fn asked(self, name: &str, letter: &str, value: impl ToString, unit: &str) -> Self {
        self.with(QuantityPart::Asked, name, letter, value.to_string(), unit)
    }

    /// With one in between.
    #[must_use]
    pub fn between(self, name: &str, letter: &str, value: impl ToString, unit: &str) -> Self {
        self.with(QuantityPart::Between, name, letter, value.to_string(), unit)
    }

    /// With one that only distracts.
    #[must_use]
    pub fn distracts(self, name: &str, letter: &str, value: impl ToString, unit: &str) -> Self {
        self.with(QuantityPart::Distracts, name, letter, value.to_string(), unit)
    }

    /// The quantity that a letter or a word means.
    #[must_use]
    pub fn called(&self, word: &str) -> Option<&Quantity> {
        self.quantities.iter().find(|quantity| quantity.is_called(word))
    }

    /// The quantity that is asked for.
    #[must_use]
    pub fn asked_for(&self) -> Option<&Quantity> {
        self.quantities.iter().find(|quantity| quantity.part == QuantityPart::Asked)
    }

    /// A line with the values of quantities for their letters; only of those that `takes` is true of.
    #[must_use]
    pub fn put_in(&self, line: &Line, takes: impl Fn(&Quantity) -> bool) -> Line {
        line.symbols().iter().fold(line.clone(), |line, letter| {
            let found = self.called(letter).filter(|quantity| takes(quantity));
            match found.and_then(Quantity::value) {
                Some(value) => line.with(letter, &value),
                None => line,
            }
        })
    }

    /// Whether a line in letters of this world, and in no others, is true of it; `None` when it has other letters or
    /// none, or when it cannot be told.
    #[must_use]
    pub fn is_true(&self, line: &Line) -> Option<bool> {
        let put_in = self.put_in(line, |_| true);
        if line.symbols().is_empty() || !put_in.symbols().is_empty() {
            return None;
        }
        match judge_alone(&put_in) {
            StepVerdict::Equivalent { .. } => Some(true),
            StepVerdict::NotEquivalent(_) => Some(false),
            _ => None,
        }
    }

    /// What is wrong with it: a quantity without a value, or a formula that does not hold; `None` for a sound one.
    #[must_use]
    pub fn unsound(&self) -> Option<String> {
        let unread = self.quantities.iter().find(|quantity| quantity.value().is_none());
        if let Some(quantity) = unread {
            return Some(format!("{} has no value: {}", quantity.name, quantity.value));
        }
        let broken = self
            .laws
            .iter()
            .find(|law| law.read().and_then(|line| self.is_true(&line)) != Some(true));
        broken.map(|law| format!("{} does not hold", law.typed))
    }
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::formulas::{CIRCLE, SINE, TRIANGLE};

    fn triangle() -> World {
        World::by(TRIANGLE)
            .given("base", "b", 27, "cm")
            .given("height", "h", 14, "cm")
            .distracts("slanted side", "s", 18, "cm")
            .asked("area", "A", 189, "cm²")
    }

    #[test]
    fn a_formula_in_any_arrangement_and_in_words_is_true_of_it() {
        for (text, expected) in [
            ("A = 1/2 b h", Some(true)),
            ("b = 2A/h", Some(true)),
            ("area = base × height/2", Some(true)),
            ("A = b h", Some(false)),
            ("A = b × 14 ÷ 2", Some(true)),
            ("A = l w", None),
            ("3 = 3", None),
        ] {
            let line = read_line(text).expect(text).line;
            assert_eq!(triangle().is_true(&line), expected, "{text}");
        }
    }

    #[test]
    fn a_world_that_does_not_hold_is_told() {
        assert_eq!(triangle().unsound(), None);
        let other = World::by(TRIANGLE).given("base", "b", 2, "").given("height", "h", 3, "");
        assert_eq!(other.unsound().as_deref(), Some("A = 1/2 × b × h does not hold"));
        let unread = World::new().asked("area", "A", "about 3", "cm²");
        assert_eq!(unread.unsound().as_deref(), Some("area has no value: about 3"));
    }

    #[test]
    fn values_may_be_irrational() {
        let circle =
            World::by(CIRCLE).given("radius", "r", 3, "cm").asked("area", "A", "9π", "cm²");
        assert_eq!(circle.unsound(), None);
        let side = World::by(SINE)
            .given("angle", "α", "32°", "")
            .given("hypotenuse", "h", 12, "m")
            .asked("opposite side", "o", "12 × sin(32°)", "m");
        assert_eq!(side.unsound(), None);
    }
}
