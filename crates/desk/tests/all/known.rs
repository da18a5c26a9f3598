//! What the Step Desk makes of the quantities behind a problem: their names, their values, and the formulas between them.

use algebra::read_line;
use desk::{DeskLine, JudgedLine, judge};
use skills::SKILLS;
use skills::ladder::{Ladder, LadderOrder, Rung};
use teaching::verdict::VerdictWord;
use teaching::world::{QuantityPart, World};

/// Rungs whose problem has a world, and is no working to be mended.
fn rungs() -> Vec<(Rung, World)> {
    let mut found = Vec::new();
    for skill in SKILLS {
        let skills = vec![skill.card().id.to_owned()];
        let order =
            LadderOrder { skills, grip: 3, tilt: 4, climb: 4, seed: 31, ..LadderOrder::default() };
        let Ok(ladder) = Ladder::make(&order) else { continue };
        found.extend(ladder.rungs.into_iter().filter_map(|rung| {
            let world = rung.world.clone().filter(|_| rung.flawed.is_none())?;
            Some((rung, world))
        }));
    }
    found
}

fn said(rung: &Rung, text: &str) -> JudgedLine {
    let judged = judge(rung, &[DeskLine { text: text.to_owned(), latex: false }]);
    judged.lines.into_iter().next().expect("the line")
}

#[test]
fn a_formula_of_the_world_holds_in_letters_and_in_words() {
    let mut wrong = Vec::new();
    let mut count = 0;
    for (rung, world) in rungs() {
        for law in &world.laws {
            let mut ways = vec![law.typed.clone()];
            if let Some((left, right)) = law.typed.split_once(" = ") {
                ways.push(format!("{right} = {left}"));
            }
            // A formula in the letter that is asked for is the problem itself, where that is its only letter.
            for way in ways {
                count += 1;
                let line = said(&rung, &way);
                if line.verdict.word != VerdictWord::Holds {
                    wrong.push(format!("{}: {way}: {}", rung.prompt, line.verdict.says));
                }
            }
        }
    }
    assert!(count > 150, "{count}");
    assert!(wrong.is_empty(), "{} of {count}: {wrong:#?}", wrong.len());
}

#[test]
fn a_quantity_by_its_letter_never_breaks() {
    let mut wrong = Vec::new();
    for (rung, world) in rungs() {
        for quantity in &world.quantities {
            let value = quantity.number().map(|_| quantity.value.clone());
            let (Some(value), false) = (value, quantity.letter.is_empty()) else { continue };
            let unit = quantity.unit.as_deref().unwrap_or("");
            for text in [
                format!("{} = {value}", quantity.letter),
                format!("{} = {value} {unit}", quantity.letter),
                format!("{}: {value} {unit}", quantity.name),
            ] {
                let line = said(&rung, text.trim());
                if line.verdict.word == VerdictWord::Breaks || line.error.is_some() {
                    wrong.push(format!("{}: {text}: {}", rung.prompt, line.verdict.says));
                }
            }
        }
    }
    assert!(wrong.is_empty(), "{}: {wrong:#?}", wrong.len());
}

#[test]
fn a_number_on_the_way_is_told_by_its_name_and_never_answers() {
    let mut named = 0;
    for (rung, world) in rungs() {
        let Some(asked) = world.asked_for().map(|asked| asked.number()) else { continue };
        for quantity in
            world.quantities.iter().filter(|quantity| quantity.part == QuantityPart::Between)
        {
            let Some(number) = quantity.number().filter(|number| Some(number) != asked.as_ref())
            else {
                continue;
            };
            let judged =
                judge(&rung, &[DeskLine { text: algebra::number::show(&number), latex: false }]);
            assert!(!judged.finished, "{}: {}", rung.prompt, quantity.value);
            named += usize::from(judged.lines[0].verdict.says.contains(&quantity.name));
        }
    }
    assert!(named > 20, "{named}");
}

#[test]
fn a_formula_that_does_not_fit_is_told() {
    let (rung, _) = rungs()
        .into_iter()
        .find(|(rung, world)| {
            rung.skill == "area.triangle"
                && world.called("base").is_some()
                && rung.unknown.is_empty()
        })
        .expect("a triangle");
    for (text, word) in [
        ("A = b h/2", VerdictWord::Holds),
        ("2A = b h", VerdictWord::Holds),
        ("area = base × height ÷ 2", VerdictWord::Holds),
        ("area = base × height", VerdictWord::Breaks),
        // Letters are anybody's own: it may be another b.
        ("A = b h", VerdictWord::CantTell),
        ("A = b + h", VerdictWord::CantTell),
    ] {
        let line = said(&rung, text);
        assert_eq!(line.verdict.word, word, "{text}: {}", line.verdict.says);
    }
    assert!(said(&rung, "A = b h").slip.is_some());
    assert!(read_line("A = b h").is_ok());
}
