//! Stories: enough contexts in the bee garden, and those of a teacher's own scenario in its place.

use skills::SKILLS;
use skills::ladder::{Ladder, LadderOrder, Rung};
use skills::scenario::NAMES;
use std::collections::BTreeSet;
use teaching::scenario::{OwnScenario, OwnThing};

fn thing(one: &str, many: &str, of: &str, least: u32, most: u32) -> OwnThing {
    OwnThing { one: one.into(), many: many.into(), of: of.into(), least, most }
}

fn kitchen() -> OwnScenario {
    OwnScenario {
        title: "The kitchen".into(),
        people: ["Ada", "Noor", "Jonas", "Mirela"].map(str::to_owned).to_vec(),
        place: "the school kitchen".into(),
        things: vec![
            thing("tray", "trays", "", 2, 2000),
            thing("litre", "litres", "soup", 2, 400),
            thing("kilogram", "kilograms", "rice", 2, 120),
        ],
    }
}

fn ladder(skill: &str, seed: u64, world: Option<OwnScenario>) -> Ladder {
    let skills = vec![skill.to_owned()];
    let order =
        LadderOrder { skills, grip: 3, tilt: 3, climb: 8, seed, world, ..LadderOrder::default() };
    Ladder::make(&order).unwrap_or_else(|why| panic!("{skill}: {}", why.says()))
}

/// Every text of a rung.
fn texts(rung: &Rung) -> String {
    serde_json::to_string(rung).expect("JSON")
}

/// What a story says without its numbers, its mathematics and its people.
fn context(prompt: &str) -> String {
    let words = prompt.split('$').step_by(2).collect::<String>();
    let mut plain: String = words.chars().filter(|c| !c.is_ascii_digit()).collect();
    for name in NAMES {
        plain = plain.replace(name, "somebody");
    }
    plain.split_whitespace().take(7).collect::<Vec<_>>().join(" ")
}

#[test]
fn every_skill_with_stories_has_at_least_three_and_there_are_many_more_in_all() {
    let mut all = BTreeSet::new();
    let mut few = Vec::new();
    for skill in SKILLS {
        let id = skill.card().id;
        let stories: BTreeSet<String> = (0..12)
            .flat_map(|seed| ladder(id, seed, None).rungs)
            .filter(|rung| rung.story)
            .map(|rung| context(&rung.prompt))
            .collect();
        if !stories.is_empty() && stories.len() < 3 {
            few.push((id, stories.clone()));
        }
        all.extend(stories);
    }
    assert!(few.is_empty(), "{few:#?}");
    println!("{} contexts in all", all.len());
    assert!(all.len() >= 25);
}

#[test]
fn nobody_of_the_bee_garden_walks_into_a_scenario_of_ones_own() {
    let names = |text: &str| {
        let mut words = text.split(|c: char| !c.is_alphabetic());
        words.any(|word| NAMES.contains(&word))
    };
    for skill in SKILLS {
        let id = skill.card().id;
        for rung in ladder(id, 4, Some(kitchen())).rungs {
            // In a text that knows more people than the scenario has, the last ones keep their names.
            assert!(!names(&texts(&rung)), "{id}: {}", texts(&rung));
        }
    }
}

#[test]
fn these_skills_tell_their_stories_of_it() {
    for id in [
        "percent.part",
        "percent.whole",
        "percent.rate",
        "percent.change",
        "ratio.share",
        "ratio.missing-term",
        "fractions.multiply-divide",
        "equations.linear",
        "add-sub.column",
    ] {
        let told = (0..4).flat_map(|seed| ladder(id, seed, Some(kitchen())).rungs);
        let told: Vec<String> = told.filter(|rung| rung.story).map(|rung| rung.prompt).collect();
        let ours = |prompt: &&String| {
            ["the school kitchen", "trays", "soup", "rice"].iter().any(|word| prompt.contains(word))
        };
        let count = told.iter().filter(ours).count();
        assert!(count * 4 >= told.len() && count > 2, "{id}: {count} of {told:#?}");
    }
}

#[test]
fn numbers_stay_within_what_could_be_true() {
    for seed in 0..8 {
        for rung in ladder("percent.part", seed, Some(kitchen())).rungs {
            let soup = rung
                .prompt
                .split(" litres of soup")
                .next()
                .filter(|_| rung.prompt.contains("litres of soup"));
            let Some(number) = soup.and_then(|text| text.rsplit(' ').next()) else { continue };
            let number: u32 = number.parse().unwrap_or(0);
            assert!((2..=400).contains(&number), "{}", rung.prompt);
        }
    }
}

#[test]
fn a_scenario_that_cannot_be_told_of_is_refused() {
    let skills = vec!["percent.part".to_owned()];
    let world = Some(OwnScenario { people: vec!["Ada".into()], ..kitchen() });
    let order = LadderOrder { skills, climb: 1, world, ..LadderOrder::default() };
    let says = Ladder::make(&order).expect_err("one person").says();
    assert_eq!(says, "Name 2 to 12 people.");
}
