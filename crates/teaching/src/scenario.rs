//! A teacher's own scenario, as data: people, a place, and things with their units and the numbers that could be true.

use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

/// Fewest people of a scenario: stories are told of two.
pub const FEWEST_PEOPLE: usize = 2;
/// Most people of a scenario.
pub const MOST_PEOPLE: usize = 12;
/// Most things of a scenario.
pub const MOST_THINGS: usize = 12;
/// The largest number of things.
pub const LARGEST: u32 = 100_000;
/// The longest name of a person or of a thing, in characters.
const LONGEST_NAME: usize = 30;
/// The longest name of a place or of a scenario, in characters.
const LONGEST_PLACE: usize = 60;

/// Where stories come from.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct OwnScenario {
    /// What its teacher calls it.
    pub title: String,
    /// First names.
    pub people: Vec<String>,
    /// Where it is, as it stands behind "at": "the school kitchen".
    pub place: String,
    /// What is counted or measured there.
    pub things: Vec<OwnThing>,
}

/// Something that is counted, or measured in a unit.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct OwnThing {
    /// One of them, or one unit of it: "tray", "litre".
    pub one: String,
    /// More of them: "trays", "litres".
    pub many: String,
    /// What is measured in that unit, as in "litres of soup"; empty for what is counted.
    #[serde(default)]
    pub of: String,
    /// The least number that could be true.
    pub least: u32,
    /// The greatest number that could be true.
    pub most: u32,
}

/// What is wrong with a scenario, in one sentence that says what to do.
#[derive(Debug, Clone, PartialEq, Eq)]
pub struct BadScenario(pub String);

impl OwnThing {
    /// Whether that many of it could be true.
    #[must_use]
    pub fn may_be(&self, number: i64) -> bool {
        (i64::from(self.least)..=i64::from(self.most)).contains(&number)
    }

    /// "1 tray", "5 trays", "5 litres of soup".
    #[must_use]
    pub fn amount(&self, n: i64) -> String {
        let name = if n == 1 { &self.one } else { &self.many };
        let of = if self.of.is_empty() { String::new() } else { format!(" of {}", self.of) };
        format!("{n} {name}{of}")
    }

    /// "trays", "litres of soup".
    #[must_use]
    pub fn name(&self) -> String {
        let of = if self.of.is_empty() { String::new() } else { format!(" of {}", self.of) };
        format!("{}{of}", self.many)
    }

    /// How it is spoken of afterwards: "them", or "it".
    #[must_use]
    pub fn pronoun(&self) -> &'static str {
        if self.of.is_empty() { "them" } else { "it" }
    }
}

/// A word or a few: letters with spaces, hyphens and apostrophes between them.
fn is_name(text: &str, longest: usize) -> bool {
    let is_sign = |c: char| c.is_alphabetic() || matches!(c, ' ' | '-' | '’' | '\'');
    !text.trim().is_empty()
        && text.trim() == text
        && text.chars().count() <= longest
        && text.chars().all(is_sign)
}

impl OwnScenario {
    /// Whether stories can be told of it.
    ///
    /// # Errors
    /// [`BadScenario`] with the first thing that is wrong.
    pub fn check(&self) -> Result<(), BadScenario> {
        let bad = |says: String| Err(BadScenario(says));
        if !is_name(&self.title, LONGEST_PLACE) || !is_name(&self.place, LONGEST_PLACE) {
            return bad(format!(
                "Give the scenario a title and a place, each in words of at most {LONGEST_PLACE} letters."
            ));
        }
        if !(FEWEST_PEOPLE..=MOST_PEOPLE).contains(&self.people.len()) {
            return bad(format!("Name {FEWEST_PEOPLE} to {MOST_PEOPLE} people."));
        }
        if let Some(name) = self.people.iter().find(|name| !is_name(name, LONGEST_NAME)) {
            return bad(format!("“{name}” is no first name. Use letters, at most {LONGEST_NAME}."));
        }
        let mut people = self.people.clone();
        people.sort_unstable();
        if let Some(twice) = people.windows(2).find(|pair| pair[0] == pair[1]) {
            return bad(format!("{} stands there twice. Give everybody another name.", twice[0]));
        }
        if !(1..=MOST_THINGS).contains(&self.things.len()) {
            return bad(format!("Name 1 to {MOST_THINGS} things."));
        }
        for thing in &self.things {
            let named = is_name(&thing.one, LONGEST_NAME) && is_name(&thing.many, LONGEST_NAME);
            if !named || !(thing.of.is_empty() || is_name(&thing.of, LONGEST_NAME)) {
                return bad("Write each thing in words: one of them, and more of them.".into());
            }
            if thing.least >= thing.most || thing.most > LARGEST {
                return bad(format!(
                    "Say how many {} there could be: from a smaller number to a larger one, at most {LARGEST}.",
                    thing.name()
                ));
            }
        }
        Ok(())
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    fn kitchen() -> OwnScenario {
        let thing = |one: &str, many: &str, of: &str, least, most| OwnThing {
            one: one.into(),
            many: many.into(),
            of: of.into(),
            least,
            most,
        };
        OwnScenario {
            title: "The kitchen".into(),
            people: vec!["Ada".into(), "Noor".into(), "Jean-Luc".into()],
            place: "the school kitchen".into(),
            things: vec![
                thing("tray", "trays", "", 2, 900),
                thing("litre", "litres", "soup", 2, 400),
            ],
        }
    }

    #[test]
    #[rustfmt::skip]
    fn what_no_story_can_be_told_of_says_why() {
        let with = |change: fn(&mut OwnScenario)| {
            let mut world = kitchen();
            change(&mut world);
            world.check().err().map(|bad| bad.0).unwrap_or_default()
        };
        for (change, says) in [
            ((|_| ()) as fn(&mut OwnScenario), ""),
            (|w| w.title = " ".into(), "Give the scenario a title"),
            (|w| w.place = "room 5 {a}".into(), "Give the scenario a title"),
            (|w| w.people.truncate(1), "Name 2 to 12 people."),
            (|w| w.people[1] = "Ada".into(), "Ada stands there twice"),
            (|w| w.people[1] = "$x$".into(), "“$x$” is no first name"),
            (|w| w.things.clear(), "Name 1 to 12 things."),
            (|w| w.things[0].many = String::new(), "Write each thing in words"),
            (|w| w.things[1].least = 400, "Say how many litres of soup"),
            (|w| w.things[1].most = 1_000_000, "Say how many litres of soup"),
        ] {
            let told = with(change);
            assert!(told.starts_with(says) && told.is_empty() == says.is_empty(), "{told}");
        }
    }

    #[test]
    fn one_is_singular_and_what_is_measured_says_of_what() {
        let world = kitchen();
        let [tray, soup] = &world.things[..] else { panic!("two things") };
        assert_eq!((tray.amount(1), tray.amount(12)), ("1 tray".into(), "12 trays".into()));
        assert_eq!(
            (soup.amount(1), soup.name()),
            ("1 litre of soup".into(), "litres of soup".into())
        );
        assert!(soup.may_be(400) && !soup.may_be(401) && !soup.may_be(1));
    }
}
