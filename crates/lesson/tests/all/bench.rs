//! The ladder bench, as a teacher works on it: every change makes a ladder whose rungs are all proved, or none.

use desk::{DeskLine, judge};
use lesson::bench::{Change, Plan, Source, Strength, Version, anew, change, sheet, weight};
use skills::SKILLS;
use skills::ladder::{Ladder, LadderOrder, Numbers, Rung};
use std::collections::HashSet;
use teaching::skill::Stage;

fn order(skills: &[&str], each: usize) -> LadderOrder {
    LadderOrder {
        skills: skills.iter().map(|&id| id.to_owned()).collect(),
        grip: each,
        tilt: each,
        climb: each,
        seed: 12,
        method: None,
        ..LadderOrder::default()
    }
}

fn bench(skills: &[&str], each: usize) -> Plan {
    let order = order(skills, each);
    change(&Plan::new(order.clone()), &Change::Draw { order }).expect("drawn")
}

fn rungs(plan: &Plan) -> Vec<Rung> {
    plan.made().expect("every rung is proved")
}

fn prompts(plan: &Plan) -> Vec<String> {
    rungs(plan).into_iter().map(|rung| rung.prompt).collect()
}

#[track_caller]
fn refused(plan: &Plan, asked: &Change, says: &str) {
    let refused = change(plan, asked).expect_err("refused");
    assert!(refused.says.contains(says), "{}", refused.says);
}

#[test]
fn the_bench_draws_the_ladder_of_its_order() {
    for skills in [&["equations.linear"][..], &["pythagoras", "percent.part", "indices.laws"]] {
        let made = Ladder::make(&order(skills, 4)).expect("made");
        assert_eq!(rungs(&bench(skills, 4)), made.rungs);
    }
}

#[test]
fn what_is_locked_stays_when_the_others_are_drawn_again() {
    let plan = bench(&["equations.linear"], 4);
    let key = plan.rungs[5].key;
    let locked = change(&plan, &Change::Lock { key, locked: true }).expect("locked");
    let again = LadderOrder { seed: 99, ..order(&["equations.linear"], 4) };
    let drawn = change(&locked, &Change::Draw { order: again }).expect("drawn");
    let (before, after) = (prompts(&plan), prompts(&drawn));
    assert_eq!(before[5], after[5]);
    assert_eq!(drawn.rungs[5].key, key);
    assert!((0..12).filter(|&at| before[at] != after[at]).count() >= 9);
    let keys: HashSet<u32> = drawn.rungs.iter().map(|placed| placed.key).collect();
    assert_eq!(keys.len(), 12, "every rung has a key of its own");
    // Fewer rungs than are locked: what is locked stays all the same.
    let none = LadderOrder { tilt: 0, ..order(&["equations.linear"], 1) };
    let few = change(&locked, &Change::Draw { order: none }).expect("drawn");
    assert!(prompts(&few).contains(&before[5]));
}

#[test]
fn one_rung_is_drawn_again_and_the_others_stay() {
    let plan = bench(&["fractions.add-subtract", "area.triangle"], 3);
    for at in 0..plan.rungs.len() {
        let next = change(&plan, &Change::Reroll { key: plan.rungs[at].key }).expect("drawn");
        let (before, after) = (rungs(&plan), rungs(&next));
        for (other, (one, two)) in before.iter().zip(&after).enumerate() {
            assert_eq!(one == two, other != at, "rung {other} when {at} is drawn again");
        }
        assert_eq!((&before[at].skill, before[at].stage), (&after[at].skill, after[at].stage));
    }
}

#[test]
fn a_rung_gets_easier_or_harder_until_it_cannot() {
    for skill in ["equations.linear", "multiply.facts-signed", "radicals.simplify"] {
        let mut plan = bench(&[skill], 2);
        let key = plan.rungs[0].key;
        let of = |plan: &Plan| {
            let at = plan.rungs.iter().position(|placed| placed.key == key).expect("there");
            rungs(plan).swap_remove(at)
        };
        for _ in 0..40 {
            let before = of(&plan);
            match change(&plan, &Change::Harder { key }) {
                Ok(next) => {
                    let after = of(&next);
                    let heavier = weight(&after) > weight(&before);
                    assert!(heavier || after.stage > before.stage, "{skill}: {}", after.prompt);
                    plan = next;
                }
                Err(refused) => {
                    assert_eq!(refused.says, "This is as hard as it gets.");
                    assert_eq!(before.stage, Stage::Climb);
                    break;
                }
            }
        }
        let before = of(&plan);
        assert_eq!(before.stage, Stage::Climb, "{skill} climbs within forty steps");
        let easier = change(&plan, &Change::Easier { key }).expect("easier");
        assert!(weight(&of(&easier)) < weight(&before) || of(&easier).stage < Stage::Climb);
        let stages: Vec<Stage> = rungs(&plan).iter().map(|rung| rung.stage).collect();
        assert!(stages.is_sorted(), "the ladder still climbs: {stages:?}");
    }
}

#[test]
fn a_rung_moves_among_those_of_its_stage() {
    let plan = bench(&["percent.part"], 3);
    let key = plan.rungs[0].key;
    let keys = |plan: &Plan| plan.rungs.iter().map(|placed| placed.key).collect::<Vec<_>>();
    let before = keys(&plan);
    let down = change(&plan, &Change::Move { key, by: 1 }).expect("moved");
    assert_eq!(keys(&down)[..3], [before[1], before[0], before[2]]);
    let far = change(&plan, &Change::Move { key, by: i32::MAX }).expect("moved");
    assert_eq!(keys(&far)[..4], [before[1], before[2], before[0], before[3]]);
    let back = change(&far, &Change::Move { key, by: i32::MIN }).expect("moved");
    assert_eq!(keys(&back), before);
    let gone = change(&plan, &Change::Remove { key }).expect("taken away");
    assert_eq!(keys(&gone), before[1..]);
    refused(&gone, &Change::Move { key, by: 1 }, "no longer on the bench");
}

#[test]
fn a_changed_number_changes_the_answer_and_a_wrong_one_changes_nothing() {
    let plan = bench(&["pythagoras"], 2);
    let area = bench(&["area.composite"], 2);
    let rung = &rungs(&area)[0];
    let key = area.rungs[0].key;
    let first: i64 = rung.prompt.split_whitespace().find_map(|w| w.parse().ok()).expect("a number");
    let longer = change(&area, &Change::Number { key, at: 0, to: (first + 1).to_string() });
    let after = rungs(&longer.expect("it comes out")).swap_remove(0);
    assert_ne!(after.answer.value, rung.answer.value);
    assert!(after.prompt.contains(&(first + 1).to_string()));
    let key = plan.rungs[0].key;
    refused(&plan, &Change::Number { key, at: 0, to: "lots".into() }, "in digits");
    refused(&plan, &Change::Number { key, at: 0, to: "987654".into() }, "");
}

#[test]
fn words_may_change_and_their_numbers_may_not() {
    let plan = bench(&["percent.part"], 2);
    let key = plan.rungs[0].key;
    let own = prompts(&plan)[0].clone();
    let wording = |text: &str| Change::Wording { key, text: Some(text.into()) };
    let polite = format!("Please: {own}");
    let worded = change(&plan, &wording(&polite)).expect("the numbers are there");
    assert_eq!(prompts(&worded)[0], polite);
    assert_eq!(rungs(&worded)[0].answer, rungs(&plan)[0].answer);
    refused(&plan, &wording("Work it out."), "needs these numbers too");
    let back = change(&worded, &Change::Wording { key, text: None }).expect("its own words");
    assert_eq!(prompts(&back)[0], own);
    // Another draw brings its own words.
    let drawn = change(&worded, &Change::Reroll { key }).expect("drawn");
    assert!(drawn.rungs[0].wording.is_none());
}

#[test]
fn a_problem_typed_by_hand_is_worked_and_stays_on_every_version() {
    let plan = bench(&["equations.linear"], 2);
    let key = plan.rungs[0].key;
    let typed = |problem: &str| Change::Typed { key, problem: problem.into() };
    let next = change(&plan, &typed("x^2 - 5x + 6 = 0")).expect("worked");
    let rung = &rungs(&next)[0];
    assert_eq!(rung.prompt, "Solve $x^{2} - 5x + 6 = 0$.");
    assert_eq!(rung.answer.text, "x = 2 or x = 3");
    assert!(rung.working.len() > 2);
    let value = rungs(&change(&plan, &typed("3/4 + 1/8")).expect("worked")).swap_remove(0);
    assert_eq!(
        (value.prompt.as_str(), value.answer.text.as_str()),
        ("Work out $\\frac{3}{4} + \\frac{1}{8}$.", "7/8")
    );
    for version in [Version::B, Version::C] {
        let sheet = sheet(&next, version, Strength::Middle).expect("made");
        assert_eq!(&sheet.rungs[0], rung);
    }
    assert_eq!(&anew(&next, 2).expect("made").rungs[0], rung, "what was typed stays");
    // What can be typed for an example can be typed for a rung: words and tasks, too.
    for (problem, prompt, answer, form) in [
        ("share 60 in 2:3", "Share 60 in 2:3.", "24 : 36", "any"),
        ("factorise x^2 - 9", "Factorise $x^{2} - 9$.", "(x - 3)(x + 3)", "factorised"),
        ("expand 3(x + 4)", "Expand $3\\left(x + 4\\right)$.", "3x + 12", "expanded"),
        ("area of a circle with radius 5", "Area of a circle with radius 5.", "25π", "any"),
        ("What is 15% of 60?", "What is 15% of 60?", "9", "any"),
    ] {
        let rung = rungs(&change(&plan, &typed(problem)).expect(problem)).swap_remove(0);
        let written = rung.answer.form.name();
        let told = (rung.prompt.as_str(), rung.answer.text.as_str(), written.as_str());
        assert_eq!(told, (prompt, answer, form));
        let line = DeskLine { text: answer.into(), latex: false };
        assert!(judge(&rung, &[line]).finished, "{problem}: the answer is taken on the desk");
    }
    refused(&plan, &typed("3(2x"), "never closed");
    refused(&plan, &typed(&"x+".repeat(900)), "at most 300");
    refused(&next, &Change::Reroll { key }, "typed by hand");
    assert!(matches!(next.rungs[0].source, Source::Typed { .. }));
}

#[test]
fn versions_are_as_heavy_as_the_ladder_and_repeat_nothing() {
    let plan = bench(&["equations.linear", "percent.part", "pythagoras"], 5);
    let made = |version| sheet(&plan, version, Strength::Middle).expect("made").rungs;
    let (a, b, c) = (made(Version::A), made(Version::B), made(Version::C));
    assert_eq!(a, rungs(&plan));
    assert_eq!(b, made(Version::B), "the same plan gives the same version");
    let all = |rungs: &[Rung]| rungs.iter().map(weight).sum::<u32>();
    let further = |nth| anew(&plan, nth).expect("made").rungs;
    let (second, third) = (further(2), further(3));
    assert_eq!(second, further(2), "the same try has the same numbers");
    assert_ne!(second, third);
    for other in [&b, &c, &second, &third] {
        let shape = |rungs: &[Rung]| {
            rungs.iter().map(|rung| (rung.skill.clone(), rung.stage)).collect::<Vec<_>>()
        };
        assert_eq!(shape(&a), shape(other));
        let (one, two) = (f64::from(all(&a)), f64::from(all(other)));
        assert!((one - two).abs() / one < 0.06, "{one} and {two}");
        let differ = a.iter().zip(other).filter(|(one, two)| one.prompt != two.prompt).count();
        assert!(differ >= 14, "{differ} of 15 differ");
        let own: HashSet<&String> = other.iter().map(|rung| &rung.prompt).collect();
        assert_eq!(own.len(), other.len());
    }
}

#[test]
fn three_strengths_have_as_many_rungs_and_climb() {
    let plan = bench(&["systems.linear", "expressions.expand"], 4);
    let of = |strength| sheet(&plan, Version::A, strength).expect("made").rungs;
    let count = |rungs: &[Rung], stage| rungs.iter().filter(|rung| rung.stage == stage).count();
    let (basic, middle, advanced) =
        (of(Strength::Basic), of(Strength::Middle), of(Strength::Advanced));
    assert_eq!((basic.len(), middle.len(), advanced.len()), (12, 12, 12));
    assert_eq!((count(&basic, Stage::Grip), count(&basic, Stage::Climb)), (8, 0));
    assert_eq!((count(&advanced, Stage::Grip), count(&advanced, Stage::Climb)), (0, 8));
    for set in [basic, middle, advanced] {
        assert!(set.is_sorted_by_key(|rung| rung.stage));
        let own: HashSet<&String> = set.iter().map(|rung| &rung.prompt).collect();
        assert_eq!(own.len(), set.len());
    }
}

#[test]
fn numbers_that_are_asked_for_hold_for_every_draw() {
    let numbers = Numbers { largest: Some(300), whole: true, positive: true, by_hand: false };
    let order = LadderOrder { numbers, ..order(&["equations.linear", "area.triangle"], 4) };
    let drawn = change(&Plan::new(order.clone()), &Change::Draw { order }).expect("drawn");
    assert!(rungs(&drawn).iter().all(|rung| numbers.fit(rung)));
    let key = drawn.rungs[1].key;
    let mut plan = drawn;
    for asked in [Change::Reroll { key }, Change::Harder { key }, Change::Reroll { key }] {
        plan = change(&plan, &asked).expect("made");
        assert!(rungs(&plan).iter().all(|rung| numbers.fit(rung)), "{asked:?}");
    }
    for version in [Version::A, Version::B, Version::C] {
        for strength in [Strength::Basic, Strength::Middle, Strength::Advanced] {
            let made = sheet(&plan, version, strength).expect("made");
            assert!(made.rungs.iter().all(|rung| numbers.fit(rung)), "{version:?} {strength:?}");
        }
    }
    let tiny = Numbers { largest: Some(1), ..numbers };
    let order = LadderOrder { numbers: tiny, ..plan.order.clone() };
    refused(&plan, &Change::Draw { order }, "Allow more numbers");
}

#[test]
fn a_plan_is_kept_as_text_and_comes_back_the_same() {
    let mut plan = bench(&["indices.laws", "trig.side"], 2);
    let key = plan.rungs[1].key;
    plan = change(&plan, &Change::Typed { key, problem: "2x = 8".into() }).expect("worked");
    let text = serde_json::to_string(&plan).expect("written");
    let back: Plan = serde_json::from_str(&text).expect("read");
    assert_eq!(back, plan);
    assert_eq!(rungs(&back), rungs(&plan));
}

#[test]
fn every_skill_can_be_worked_on() {
    for skill in SKILLS {
        let id = skill.card().id;
        let plan = bench(&[id], 2);
        let key = plan.rungs[0].key;
        for asked in [Change::Reroll { key }, Change::Harder { key }] {
            let next = change(&plan, &asked).unwrap_or_else(|no| panic!("{id}: {}", no.says));
            assert_eq!(rungs(&next).len(), 6, "{id}");
        }
        for version in [Version::B, Version::C] {
            let sheet = sheet(&plan, version, Strength::Middle);
            assert_eq!(sheet.expect(id).rungs.len(), 6, "{id}");
        }
    }
}
