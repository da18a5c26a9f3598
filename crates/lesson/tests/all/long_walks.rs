//! Whatever a teacher does, one thing after the other: a bench stays whole, and what was refused changed nothing.

use desk::DeskLine;
use lesson::bench::{self, Plan, Strength, Version};
use lesson::example::{Blank, Detail, Example, ExampleChange, change};
use proptest::prelude::*;
use skills::SKILLS;
use skills::ladder::{Drawn, LadderOrder};
use std::collections::HashSet;
use teaching::skill::Stage;
use teaching::verdict::VerdictWord;

/// One thing that is done, by numbers that are read as they fit what stands there.
type Deed = (u8, u8, u16);

fn deeds(most: usize) -> impl Strategy<Value = Vec<Deed>> {
    prop::collection::vec(any::<Deed>(), 1..most)
}

/// What somebody writes, now and then sensibly.
const WRITTEN: &[&str] = &[
    "x = 7",
    "2x = 14",
    "x = -3 or x = 4",
    "6x - 5 = 27",
    "So the answer is 7.",
    "3(2x",
    "",
    "= 4",
    "1/0",
    "no solution",
    "$$",
    "x^2 = 49",
    "12 : 18 = 2 : 3",
    "0.75",
    "75%",
    "because it is",
    "∞",
    "x == 2",
    "12 cm",
    "4, 6, 8, ...",
];

fn written(at: u16) -> DeskLine {
    let text = WRITTEN[usize::from(at) % WRITTEN.len()].to_owned();
    DeskLine { latex: at.is_multiple_of(3) && !text.contains('$'), text }
}

/// Problems of every kind that can be typed.
const PROBLEMS: &[&str] = &[
    "3(2x - 5) = 27",
    "x^2 - 5x + 6 = 0",
    "15% of 60",
    "3/4 + 1/8",
    "12 : 18",
    "x + y = 5; x - y = 1",
    "sqrt(x + 6) = x",
    "2 < 3x - 1",
    "-3 - (-8)",
    "expand (x + 2)(x - 3)",
];

/// What deed `of` does to an example.
fn deed(example: &Example, (kind, line, what): Deed) -> ExampleChange {
    let line = usize::from(line) % (example.working.len() + 1);
    let at = usize::from(what) % 4;
    match kind % 11 {
        0 => ExampleChange::Method {
            id: example.methods[usize::from(what) % example.methods.len()].id,
        },
        1 => ExampleChange::Detail {
            detail: [Detail::Usual, Detail::WrittenOut, Detail::Brisk][at % 3],
        },
        2 => ExampleChange::Fold { line, folded: what % 2 == 0 },
        3 => ExampleChange::Reason {
            line,
            text: (at > 0).then(|| WRITTEN[usize::from(what) % WRITTEN.len()].to_owned()),
        },
        4 | 5 => ExampleChange::Write { line, text: written(what) },
        6 => ExampleChange::Insert { below: line, text: written(what) },
        7 => ExampleChange::Restore { line },
        8 => {
            let blank =
                [Blank::Line, Blank::Reason, Blank::Number { at }, Blank::Side { at: at % 2 }][at];
            ExampleChange::Leave { line, blank, out: what % 5 > 0 }
        }
        9 => {
            let offers = example.slips().unwrap_or_default();
            let slip =
                offers.get(usize::from(what) % (offers.len() + 1)).map(|offer| offer.slip.clone());
            ExampleChange::Slip { slip }
        }
        _ => ExampleChange::Vary { seed: what.into() },
    }
}

/// What is true of an example whatever was done to it.
fn whole(example: &Example) -> Result<(), TestCaseError> {
    let kept = serde_json::to_string(example).expect("plain data");
    let back: Example = serde_json::from_str(&kept).expect("it comes back");
    prop_assert!(
        serde_json::to_string(&back).expect("plain data") == kept,
        "kept, it comes back as another one"
    );
    prop_assert!(example.again().as_ref() == Ok(example), "made again it is another one");
    prop_assert!(back.again().as_ref() == Ok(example), "kept and made again it is another one");
    prop_assert!(!example.working.is_empty(), "nothing is left of it");
    let own: HashSet<usize> = example.working.iter().filter_map(|line| line.from).collect();
    let made = example.working.iter().filter(|line| line.from.is_some()).count();
    prop_assert_eq!(own.len(), made, "a line stands there twice");
    let slip = example.slip.as_ref().map(|slip| slip.line);
    for line in &example.working {
        // Only what somebody wrote, or a slip that was put in, may be wrong.
        let may_break = line.own || slip.is_some() || example.working.iter().any(|other| other.own);
        prop_assert!(may_break || line.is_sound(), "{} {:?}", line.line.math, line.line.verdict);
        prop_assert!(
            line.asked.is_some() || line.blanks.is_empty(),
            "a blank that is not asked for"
        );
    }
    prop_assert_eq!(
        example.offers().len(),
        example.working.len(),
        "what can be done with each line"
    );
    Ok(())
}

fn walk(mut example: Example, deeds: Vec<Deed>) -> Result<(), TestCaseError> {
    whole(&example)?;
    for one in deeds {
        let asked = deed(&example, one);
        match change(&example, &asked) {
            Ok(next) => example = next,
            Err(why) => {
                prop_assert!(why.says.ends_with(['.', '?', '!']), "{asked:?}: {}", why.says);
                prop_assert!(
                    why.says.chars().next().is_some_and(|sign| !sign.is_lowercase()),
                    "{}",
                    why.says
                );
            }
        }
        whole(&example)?;
    }
    Ok(())
}

/// What deed `of` does to a ladder on the bench.
fn bench_deed(plan: &Plan, order: &LadderOrder, (kind, which, what): Deed) -> bench::Change {
    let key = plan
        .rungs
        .get(usize::from(which) % (plan.rungs.len() + 1))
        .map_or(9_999, |placed| placed.key);
    match kind % 10 {
        0 => bench::Change::Draw { order: LadderOrder { seed: what.into(), ..order.clone() } },
        1 => bench::Change::Reroll { key },
        2 => bench::Change::Easier { key },
        3 => bench::Change::Harder { key },
        4 => bench::Change::Number {
            key,
            at: usize::from(what) % 5,
            to: (u32::from(what) % 90).to_string(),
        },
        5 => bench::Change::Wording {
            key,
            text: (what % 2 == 0).then(|| WRITTEN[usize::from(what) % WRITTEN.len()].to_owned()),
        },
        6 => bench::Change::Typed {
            key,
            problem: PROBLEMS[usize::from(what) % PROBLEMS.len()].to_owned(),
        },
        7 => bench::Change::Move { key, by: i32::from(what % 7) - 3 },
        8 => bench::Change::Lock { key, locked: what % 2 == 0 },
        _ => bench::Change::Remove { key },
    }
}

/// What is true of a ladder on the bench whatever was done to it.
fn stands(plan: &Plan) -> Result<(), TestCaseError> {
    let kept = serde_json::to_string(plan).expect("plain data");
    let back: Plan = serde_json::from_str(&kept).expect("it comes back");
    prop_assert!(back == *plan, "kept, it comes back as another one: {kept}");
    let keys: HashSet<u32> = plan.rungs.iter().map(|placed| placed.key).collect();
    prop_assert_eq!(keys.len(), plan.rungs.len(), "two rungs have one key");
    prop_assert!(keys.iter().all(|key| *key < plan.next_key), "a key that is yet to be given");
    let rungs = plan.made().map_err(|why| TestCaseError::fail(why.says))?;
    for rung in &rungs {
        let last = rung.working.last().map(|line| line.verdict);
        prop_assert!(
            matches!(last, Some(VerdictWord::Holds | VerdictWord::Given)),
            "{}: {last:?}",
            rung.prompt
        );
        prop_assert!(
            rung.working.iter().all(|line| line.verdict != VerdictWord::Breaks),
            "{}",
            rung.prompt
        );
    }
    let stages: Vec<Stage> = plan.rungs.iter().map(bench::Placed::stage).collect();
    prop_assert!(stages.is_sorted(), "it does not climb: {stages:?}");
    Ok(())
}

proptest! {
    #![proptest_config(ProptestConfig { cases: 40, max_shrink_iters: 400, ..ProptestConfig::default() })]

    #[test]
    fn an_example_of_a_typed_problem(at in 0..PROBLEMS.len(), deeds in deeds(12)) {
        walk(Example::typed(PROBLEMS[at], None).expect(PROBLEMS[at]), deeds)?;
    }

    #[test]
    fn an_example_of_a_skill(at in 0..SKILLS.len(), stage in 0..3usize, seed in 0..500u64, deeds in deeds(8)) {
        let stage = [Stage::Grip, Stage::Tilt, Stage::Climb][stage];
        let skill = SKILLS[at].card().id.to_owned();
        let drawn = Drawn { skill, stage, index: 0, seed, attempt: 0, method: None, replaced: Vec::new(), world: None };
        if let Ok(example) = Example::of(&drawn) {
            walk(example, deeds)?;
        }
    }

    #[test]
    fn a_ladder_on_the_bench(at in 0..SKILLS.len(), deeds in deeds(12)) {
        let order = LadderOrder { skills: vec![SKILLS[at].card().id.to_owned()], grip: 2, tilt: 2, climb: 2, seed: 3, ..LadderOrder::default() };
        let mut plan = bench::change(&Plan::new(order.clone()), &bench::Change::Draw { order: order.clone() }).expect("drawn");
        stands(&plan)?;
        for one in deeds {
            let asked = bench_deed(&plan, &order, one);
            let locked: Vec<_> = plan.rungs.iter().filter(|placed| placed.locked).cloned().collect();
            let next = match bench::change(&plan, &asked) {
                Ok(next) => next,
                Err(why) => {
                    prop_assert!(why.says.ends_with(['.', '?', '!']), "{asked:?}: {}", why.says);
                    continue;
                }
            };
            if matches!(asked, bench::Change::Draw { .. }) {
                prop_assert!(locked.iter().all(|placed| next.rungs.contains(placed)), "a locked rung was drawn again");
            }
            plan = next;
            stands(&plan)?;
        }
        for version in [Version::B, Version::C] {
            if let Ok(sheet) = bench::sheet(&plan, version, Strength::Middle) {
                prop_assert_eq!(sheet.rungs.len(), plan.rungs.len());
            }
        }
    }
}
