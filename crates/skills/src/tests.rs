//! Every skill, every stage, every method, over many seeds: nothing leaves unproved.

use super::*;
use crate::ladder::{Ladder, LadderOrder, Rung, prove};
use std::collections::HashSet;
use teaching::draw::Draw;
use teaching::ids::MethodId;
use teaching::problem::{Key, Posed};
use teaching::skill::Skill;
use teaching::skill::{Stage, Strand};

/// `HONEY_LADDER_SEEDS=2000 cargo test --release -p teaching catalogue` is the long run.
fn seeds() -> u64 {
    std::env::var("HONEY_LADDER_SEEDS").ok().and_then(|n| n.parse().ok()).unwrap_or(200)
}

/// How many different rungs stand on one stage in this test.
const RUNGS: u64 = 12;

fn posed(skill: &dyn Skill, stage: Stage, seed: u64) -> Posed {
    let index = usize::try_from(seed % RUNGS).expect("small");
    let label = format!("{}/{}/{index}", skill.card().id, stage.name());
    skill.pose(stage, index, &mut Draw::new(seed, &label))
}

fn check_prompt(rung: &Rung, label: &str) {
    let text = &rung.prompt;
    let outside: String = text.split('$').step_by(2).collect();
    assert!(!outside.contains(['{', '}', '\\', '_']), "{label}: a gap in “{text}”");
    assert!(text.matches('$').count().is_multiple_of(2), "{label}: half a formula in “{text}”");
    assert!(!text.contains("no solution}"), "{label}: what cannot be read in “{text}”");
    let spaced = text.contains(" .") || text.split('$').step_by(2).any(|part| part.contains("  "));
    assert!(!spaced, "{label}: spaces in “{text}”");
    assert!(text.ends_with(['.', '?', '!', '$']), "{label}: “{text}” does not end");
    let first = text.chars().next().expect("a prompt");
    assert!(first.is_uppercase() || first.is_numeric() || first == '$', "{label}: {text}");
    for wrong in [" 1 jars", " 1 bees", " 1 frames", " 1 days", " 1 hours", " a even", " a odd"] {
        assert!(!outside.contains(wrong), "{label}: grammar of “{text}”");
    }
}

fn check_choices(rung: &Rung, label: &str) {
    assert_eq!(rung.choices.iter().filter(|c| c.right).count(), 1, "{label}: {:?}", rung.choices);
    let texts: HashSet<_> = rung.choices.iter().map(|c| &c.text).collect();
    assert_eq!(texts.len(), rung.choices.len(), "{label}: {:?}", rung.choices);
    assert!(rung.choices.len() >= 2, "{label}: {:?}", rung.choices);
}

/// Answers in words, and answers of a story, say what was computed.
fn check_story(posed: &Posed, label: &str) {
    let Some(story) = &posed.story else { return };
    let told = match &posed.key {
        Key::Shown { text, .. } => text.clone(),
        Key::Truth(_) => return,
        Key::Line(line) => match posed.answer() {
            Some(value) => {
                let written = ::algebra::write::text(&crate::ladder::written_like(posed, &value));
                let exact = ::algebra::number::show(&value);
                if story.sentence.contains(&exact) { exact } else { written }
            }
            None => match posed.rounded() {
                Some(number) => ::algebra::write::text(number),
                None => ::algebra::write::text_line(line),
            },
        },
    };
    let sentence = story.sentence.replace('$', "");
    let told = told.trim_end_matches("_2");
    assert!(sentence.contains(told), "{label}: “{told}” is not in “{sentence}”");
    assert!(sentence.ends_with('.'), "{label}: {sentence}");
}

fn check_flawed(posed: &Posed, label: &str) {
    let Some(flawed) = &posed.flawed else { return };
    for (at, pair) in flawed.lines.windows(2).enumerate() {
        let verdict = ::algebra::compare(&pair[0], &pair[1], None);
        let holds = matches!(verdict, ::algebra::StepVerdict::Equivalent { .. });
        assert_eq!(holds, at + 1 != flawed.breaks, "{label}: line {at} of {}", posed.prompt);
    }
}

/// Every skill of a strand; what is wrong with each is told together.
#[track_caller]
fn catalogue(strand: Strand) {
    let skills = SKILLS.iter().filter(|skill| skill.card().strand == strand);
    let fails = |skill: &&'static &'static dyn Skill| {
        let skill = std::panic::AssertUnwindSafe(**skill);
        std::panic::catch_unwind(move || check_skill(*skill)).is_err()
    };
    let wrong = skills.filter(fails);
    let wrong: Vec<&str> = wrong.map(|skill| skill.card().id).collect();
    assert!(wrong.is_empty(), "not proved, see above: {wrong:?}");
}

fn check_skill(skill: &'static dyn Skill) {
    let card = skill.card();
    let mut methods: HashSet<MethodId> = HashSet::new();
    for stage in Stage::ALL {
        for seed in 0..seeds() {
            let label = format!("{} {} seed {seed}", card.id, stage.name());
            let posed = posed(skill, stage, seed);
            let fitting = card.methods.iter().map(|method| method.id);
            let fitting: Vec<_> =
                fitting.filter(|id| skill.working(&posed, *id).is_some()).collect();
            assert!(!fitting.is_empty(), "{label}: no method fits “{}”", posed.prompt);
            for method in fitting {
                let rung = prove(skill, stage, &posed, method)
                    .unwrap_or_else(|why| panic!("{label} {method}: {why:?} {}", posed.prompt));
                methods.insert(method);
                check_prompt(&rung, &label);
                check_choices(&rung, &label);
            }
            check_story(&posed, &label);
            check_flawed(&posed, &label);
            for wrong in posed.wrong.iter().filter_map(|wrong| wrong.slip) {
                let known = skill.slips().iter().any(|slip| slip.id() == wrong);
                assert!(known, "{label}: the slip “{wrong}” is not one of the skill's");
            }
        }
    }
    let all: HashSet<MethodId> = card.methods.iter().map(|method| method.id).collect();
    assert_eq!(methods, all, "{}: every method fits some problem", card.id);
}

#[test]
fn the_catalogue_of_number_is_proved() {
    catalogue(Strand::Number);
}

#[test]
fn the_catalogue_of_fractions_and_ratio_is_proved() {
    catalogue(Strand::FractionsRatio);
}

#[test]
fn the_catalogue_of_algebra_is_proved() {
    catalogue(Strand::Algebra);
}

#[test]
fn the_catalogue_of_geometry_is_proved() {
    catalogue(Strand::Geometry);
}

#[test]
fn a_ladder_of_each_skill_repeats_no_problem() {
    for skill in SKILLS {
        let id = skill.card().id;
        for seed in 0..6 {
            let skills = vec![id.to_owned()];
            let order = LadderOrder {
                skills,
                grip: 6,
                tilt: 6,
                climb: 6,
                seed,
                method: None,
                ..LadderOrder::default()
            };
            let ladder = Ladder::make(&order).unwrap_or_else(|why| panic!("{id}: {why:?}"));
            let prompts: HashSet<_> = ladder.rungs.iter().map(|rung| &rung.prompt).collect();
            assert_eq!(prompts.len(), 18, "{id} seed {seed}");
        }
    }
}

#[test]
fn somebodys_working_is_there_to_be_mended() {
    let with_slip = |skill: &&&dyn Skill| {
        (0..60).any(|seed| posed(**skill, Stage::Tilt, seed).flawed.is_some())
    };
    assert!(SKILLS.iter().filter(with_slip).count() * 4 >= SKILLS.len());
}

#[test]
fn cards_are_complete() {
    let mut ids = HashSet::new();
    for skill in SKILLS {
        let card = skill.card();
        assert!(ids.insert(card.id), "{} stands there twice", card.id);
        assert!(card.objective.starts_with("I can "), "{}", card.id);
        assert!(card.vocabulary.len() >= 2 && !card.methods.is_empty(), "{}", card.id);
        assert!(skill.slips().len() >= 2, "{}", card.id);
        assert!(card.grades.0 <= card.grades.1 && card.grades.1 <= 12, "{}", card.id);
        for slip in skill.slips() {
            assert!(slip.to_student().ends_with(['.', '?']), "{}: {}", card.id, slip.id());
            assert!(slip.to_teacher().ends_with('.'), "{}: {}", card.id, slip.id());
        }
    }
}

/// Somebody's workings over many seeds: each breaks where it is said to break and nowhere else, the slips take turns, a
/// late line breaks now and then, and now and then none does.
#[test]
fn somebodys_working_breaks_once_and_its_slips_take_turns() {
    let mut late = 0;
    let mut whole = 0;
    let mut several = 0;
    for skill in SKILLS {
        let mut slips = HashSet::new();
        let mut seen = 0;
        for seed in 0..16 {
            let posed = posed(*skill, Stage::Tilt, seed);
            if posed.flawed.is_none() {
                continue;
            }
            seen += 1;
            let method = skill.card().methods.iter().map(|method| method.id);
            let method = method.clone().find(|id| skill.working(&posed, *id).is_some());
            let rung =
                prove(*skill, Stage::Tilt, &posed, method.expect("a method")).expect("proved");
            let label = format!("{}: {}", skill.card().id, rung.prompt);
            let flawed = rung.flawed.as_ref().expect("somebody's working");
            let line = |at: usize| {
                let text = flawed.lines[at].math.trim_start_matches("= ").to_owned();
                ::algebra::read_line(&text).expect("it reads back").line
            };
            for at in 1..flawed.lines.len() {
                let verdict = ::algebra::compare_given(&line(at - 1), &line(at), &posed.setting());
                let breaks = matches!(verdict, ::algebra::StepVerdict::NotEquivalent(_));
                // Squaring may bring a solution in; in a working without a slip it is told later.
                let may = flawed.breaks.is_none();
                assert!(
                    may || breaks == (flawed.breaks == Some(at + 1)),
                    "{label}: line {}",
                    at + 1
                );
            }
            assert!(rung.prompt.ends_with("Write it as it should be."), "{label}");
            let first = &rung.working[0].math;
            match flawed.breaks {
                Some(at) => {
                    late += usize::from(at > 2);
                    slips.insert(flawed.slip.expect("a slip"));
                    assert!(first.starts_with(&format!("Line {at}, ")), "{label}: {first}");
                    assert!(!rung.working[0].reason.is_empty(), "{label}");
                }
                None => {
                    whole += 1;
                    assert_eq!(first, "Every line holds.", "{label}");
                }
            }
            assert!(rung.working.iter().any(|line| line.carries()), "{label}");
        }
        several += usize::from(seen > 2 && slips.len() > 1);
    }
    assert!(
        late > 5 && whole > 5 && several > 8,
        "{late} late, {whole} whole, {several} with turns"
    );
}

/// Every kind of answer is met, and words are never offered as a choice of two that are alike.
#[test]
fn each_rung_has_a_kind_of_answer() {
    let mut kinds = HashSet::new();
    for skill in SKILLS {
        for (stage, seed) in Stage::ALL.into_iter().flat_map(|stage| [(stage, 3), (stage, 8)]) {
            let posed = posed(*skill, stage, seed);
            let methods = skill.card().methods;
            let Some(method) = methods.iter().find(|m| skill.working(&posed, m.id).is_some())
            else {
                continue;
            };
            let rung = prove(*skill, stage, &posed, method.id).expect("proved");
            let kind = serde_json::to_value(rung.kind()).expect("JSON");
            kinds.insert(kind["kind"].as_str().expect("a name").to_owned());
            let offered = kind["options"].as_array().cloned().unwrap_or_default();
            let different: HashSet<String> = offered.iter().map(ToString::to_string).collect();
            assert_eq!(different.len(), offered.len(), "{}", rung.prompt);
        }
    }
    assert!(kinds.len() >= 9, "{kinds:?}");
}
