//! Every skill, every stage, every method, over many seeds: nothing leaves unproved.

use super::*;
use crate::draw::Draw;
use crate::ladder::prove;
use crate::skill::Stage;
use std::collections::HashSet;

/// `HONEY_LADDER_SEEDS=2000 cargo test --release -p teaching catalogue` is the long run.
fn seeds() -> u64 {
    std::env::var("HONEY_LADDER_SEEDS").ok().and_then(|n| n.parse().ok()).unwrap_or(200)
}

#[test]
fn the_catalogue_is_proved_over_its_seeds() {
    for skill in SKILLS {
        let card = skill.card();
        for stage in Stage::ALL {
            for seed in 0..seeds() {
                let index = usize::try_from(seed % 12).expect("small");
                let label = format!("{}/{}/{index}", card.id, stage.name());
                let posed = skill.pose(stage, index, &mut Draw::new(seed, &label));
                let mut proved = 0;
                for method in card.methods {
                    if skill.working(&posed, method.id).is_none() {
                        continue;
                    }
                    let rung = prove(*skill, stage, &posed, method.id)
                        .unwrap_or_else(|why| panic!("{label} seed {seed} {}: {why:?}", method.id));
                    proved += 1;
                    assert!(!rung.prompt.contains(['{', '}']) || rung.prompt.contains("\\frac"));
                    assert!(rung.choices.iter().filter(|c| c.right).count() == 1, "{label} {seed}");
                    let texts: HashSet<_> = rung.choices.iter().map(|c| &c.text).collect();
                    assert_eq!(texts.len(), rung.choices.len(), "{label} {seed}");
                    assert!(rung.choices.len() >= 4, "{label} {seed}: {:?}", rung.choices);
                }
                assert!(proved > 0, "{label} seed {seed}");
                // The usual method fits every problem that is posed.
                assert!(skill.working(&posed, card.methods[0].id).is_some(), "{label} {seed}");
            }
        }
    }
}

#[test]
fn a_story_says_its_answer_with_its_unit() {
    for skill in SKILLS {
        for seed in 0..50 {
            let index = usize::try_from(seed % 3).expect("small");
            let posed = skill.pose(Stage::Climb, index, &mut Draw::new(seed, "story"));
            let story = posed.story.as_ref().expect("Climb is a story here");
            let value = ::algebra::number::show(&posed.answer);
            assert!(story.sentence.contains(&value), "{} in {}", value, story.sentence);
            assert!(!posed.prompt.contains('$'), "a story names no letter: {}", posed.prompt);
        }
    }
}

#[test]
fn exactly_one_line_of_a_flawed_working_breaks() {
    let mut seen = 0;
    for skill in SKILLS {
        for seed in 0..300 {
            let index = usize::try_from(seed % 3).expect("small");
            let posed = skill.pose(Stage::Tilt, index, &mut Draw::new(seed, "flawed"));
            let Some(flawed) = &posed.flawed else { continue };
            seen += 1;
            for (at, pair) in flawed.lines.windows(2).enumerate() {
                let holds = matches!(
                    ::algebra::compare(&pair[0], &pair[1], None),
                    ::algebra::StepVerdict::Equivalent { .. }
                );
                assert_eq!(holds, at + 1 != flawed.breaks, "{}", posed.prompt);
            }
        }
    }
    assert!(seen > 100);
}

#[test]
fn cards_are_complete() {
    for skill in SKILLS {
        let card = skill.card();
        assert!(card.objective.starts_with("I can "), "{}", card.id);
        assert!(card.vocabulary.len() >= 2 && !card.methods.is_empty(), "{}", card.id);
        assert!(skill.slips().len() >= 2, "{}", card.id);
        assert!(card.grades.0 <= card.grades.1 && card.grades.1 <= 12, "{}", card.id);
    }
}
