//! What stands behind the problems of the skills: quantities that agree with the words, and formulas that hold.

use skills::SKILLS;
use std::collections::BTreeMap;
use teaching::draw::Draw;
use teaching::problem::Posed;
use teaching::skill::Stage;
use teaching::world::QuantityPart;

/// Every problem of every skill and stage, over some seeds, with the id of its skill.
fn posed() -> impl Iterator<Item = (&'static str, Posed)> {
    SKILLS.iter().flat_map(|skill| {
        let id = skill.card().id;
        Stage::ALL.into_iter().flat_map(move |stage| {
            (0..24).map(move |at| {
                (id, skill.pose(stage, at, &mut Draw::new(at as u64, &format!("{id}{stage:?}"))))
            })
        })
    })
}

#[test]
fn every_world_holds_and_asks_for_the_answer() {
    let mut wrong = Vec::new();
    for (id, posed) in posed() {
        let Some(world) = &posed.world else { continue };
        let asked = world.asked_for().and_then(|asked| asked.number());
        let differs = asked.zip(posed.answer()).is_some_and(|(asked, answer)| asked != answer);
        if let Some(why) = world.unsound() {
            wrong.push(format!("{id}: {}: {why}", posed.prompt));
        } else if differs {
            wrong.push(format!("{id}: {}: it asks for another value", posed.prompt));
        }
    }
    wrong.dedup();
    assert!(wrong.is_empty(), "{}: {wrong:#?}", wrong.len());
}

#[test]
fn what_is_given_stands_in_the_words_or_the_figure() {
    let mut missing = Vec::new();
    for (id, posed) in posed() {
        let Some(world) = &posed.world else { continue };
        // A problem with a slip in it is told anew.
        if posed.flawed.is_some() {
            continue;
        }
        let figure = posed.figure.as_ref().map(|figure| format!("{figure:?}")).unwrap_or_default();
        let told = format!("{} {figure}", posed.prompt).replace(r"\%", "%");
        for given in world.quantities.iter().filter(|quantity| quantity.part == QuantityPart::Given)
        {
            // `8π` stands there in LaTeX, and a bearing with three digits.
            let value = given.value.trim_end_matches(['π', '°']);
            if !told.contains(value) {
                missing.push(format!("{id}: {} = {}: {}", given.name, given.value, posed.prompt));
            }
        }
    }
    assert!(missing.is_empty(), "{}: {missing:#?}", missing.len());
}

#[test]
fn the_skills_that_measure_and_share_know_their_quantities() {
    let mut known: BTreeMap<&str, (usize, usize)> = BTreeMap::new();
    for (id, posed) in posed() {
        let (with, all) = known.entry(id).or_default();
        *with += usize::from(posed.world.is_some());
        *all += 1;
    }
    for id in [
        "area.triangle",
        "area.composite",
        "circle.area",
        "circle.circumference",
        "pythagoras",
        "trig.side",
        "trig.angle",
        "trig.solid",
        "percent.part",
        "percent.whole",
        "percent.rate",
        "percent.change",
        "ratio.share",
    ] {
        let (with, all) = known[id];
        assert!(with * 3 >= all * 2, "{id}: {with} of {all}");
    }
}
