//! A rung told of a teacher's own scenario: its people and its place instead of those of the bee garden.

use super::{Ladder, LadderOrder, Rung};
use crate::scenario::NAMES;
use teaching::scenario::OwnScenario;

/// A few stories of it, as they would stand on a sheet.
#[must_use]
pub fn samples(scenario: &OwnScenario) -> Vec<String> {
    let skills = [
        "percent.part",
        "ratio.missing-term",
        "equations.linear",
        "percent.change",
        "add-sub.column",
    ];
    let order = LadderOrder {
        skills: skills.map(str::to_owned).to_vec(),
        climb: skills.len(),
        seed: 3,
        world: Some(scenario.clone()),
        ..LadderOrder::default()
    };
    let made = Ladder::make(&order);
    let prompts = made.into_iter().flat_map(|made| made.rungs).map(|rung| rung.prompt);
    // What no thing of it comes in such numbers for is told of the bee garden.
    prompts.filter(|prompt| prompt.contains(&scenario.place)).collect()
}

/// The rung with its people in place of those of the bee garden.
///
/// Names stand in prompts, workings, choices and pictures alike, so that they are replaced wherever a text has them.
#[must_use]
pub(crate) fn told(scenario: &OwnScenario, rung: Rung) -> Rung {
    let Ok(mut told) = serde_json::to_value(&rung) else { return rung };
    let mut met: Vec<&'static str> = Vec::new();
    // The prompt says in which order people come in.
    meet(&rung.prompt, &mut met);
    each_text(&mut told, &mut |text| {
        meet(text, &mut met);
    });
    if met.is_empty() {
        return rung;
    }
    let first = NAMES.iter().position(|name| *name == met[0]).unwrap_or(0);
    let person = |at: usize| {
        // Where there are more people in a story than in the scenario, the last ones keep their names.
        let own = (at < scenario.people.len())
            .then(|| &scenario.people[(first + at) % scenario.people.len()]);
        own.map_or(met[at], |name| name.as_str())
    };
    let people: Vec<&str> = (0..met.len()).map(person).collect();
    each_text(&mut told, &mut |text| *text = renamed(text, &met, &people));
    serde_json::from_value(told).unwrap_or(rung)
}

/// Every text of a value, those of ids included: no id has a name in it.
fn each_text(value: &mut serde_json::Value, with: &mut impl FnMut(&mut String)) {
    match value {
        serde_json::Value::String(text) => with(text),
        serde_json::Value::Array(all) => all.iter_mut().for_each(|one| each_text(one, with)),
        serde_json::Value::Object(all) => all.values_mut().for_each(|one| each_text(one, with)),
        _ => {}
    }
}

/// The words of a text, each with whether it is one.
fn pieces(text: &str) -> impl Iterator<Item = &str> {
    text.split_inclusive(|c: char| !c.is_alphabetic()).flat_map(|piece| {
        let end = piece.trim_end_matches(|c: char| !c.is_alphabetic()).len();
        [&piece[..end], &piece[end..]]
    })
}

fn meet(text: &str, met: &mut Vec<&'static str>) {
    for word in pieces(text) {
        if let Some(name) = NAMES.iter().find(|name| **name == word)
            && !met.contains(name)
        {
            met.push(name);
        }
    }
}

fn renamed(text: &str, met: &[&str], people: &[&str]) -> String {
    let one = |word| met.iter().position(|name| *name == word).map_or(word, |at| people[at]);
    pieces(text).map(one).collect()
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn people_keep_their_names_through_a_text() {
        let text = "Leo’s jars: Leo has 3, Hana 4. Leopard.";
        let told = renamed(text, &["Leo", "Hana"], &["Ada", "Noor"]);
        assert_eq!(told, "Ada’s jars: Ada has 3, Noor 4. Leopard.");
    }
}
