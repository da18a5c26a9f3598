//! What a class wrote, added up, and the ladder that comes next of it.

use algebra::Role;
use desk::{DeskLine, Judgement, judge};
use lesson::bench::{Change, Plan, change};
use live::{Feedback, Next, NextOrder, NothingYet, Sheet, Standing, Who, Work, alike};
use skills::ids::method_named;
use skills::ladder::{LadderOrder, Rung};
use std::collections::BTreeSet;
use teaching::WorkingLine;
use teaching::skill::Stage;

/// A ladder of square equations and linear ones, as it lies on the bench.
fn plan() -> Plan {
    let order = LadderOrder {
        skills: vec!["equations.linear".into(), "ratio.share".into()],
        grip: 4,
        tilt: 2,
        climb: 2,
        seed: 11,
        ..LadderOrder::default()
    };
    change(&Plan::new(order.clone()), &Change::Draw { order }).expect("a ladder")
}

fn lines(texts: &[&str]) -> Vec<DeskLine> {
    texts.iter().map(|text| DeskLine { text: (*text).into(), latex: false }).collect()
}

/// What stands in the key, line by line.
fn right(rung: &Rung) -> Judgement {
    let follows = |line: &&WorkingLine| matches!(line.role, Role::Follows | Role::Concludes);
    let worked = rung.working.iter().filter(follows);
    let written =
        worked.filter_map(|line| Some(DeskLine { text: line.latex.clone()?, latex: true }));
    judge(rung, &written.collect::<Vec<_>>())
}

fn wrong(rung: &Rung) -> Judgement {
    judge(rung, &lines(&["x = 100001"]))
}

/// Who is there.
fn who() -> Who {
    [(1, "Ada"), (2, "Bo"), (3, "Cy"), (4, "Dee")].map(|(id, name)| (id, name.into())).into()
}

struct Class {
    plan: Plan,
    rungs: Vec<Rung>,
    written: Vec<(u64, Vec<(u16, Judgement)>)>,
}

impl Class {
    /// A class of four: Ada does all of it, Bo the first three rungs, Cy breaks on every one, Dee never came.
    fn new() -> Self {
        let plan = plan();
        let rungs = plan.made().expect("rungs");
        let numbered = || rungs.iter().zip(1u16..);
        let written = vec![
            (1, numbered().map(|(rung, number)| (number, right(rung))).collect()),
            (2, numbered().take(3).map(|(rung, number)| (number, right(rung))).collect()),
            (3, numbered().map(|(rung, number)| (number, wrong(rung))).collect()),
            (4, Vec::new()),
        ];
        Self { plan, rungs, written }
    }

    fn work(&self, is_over: bool) -> Work<'_> {
        let sheets = self.written.iter().map(|(student, written)| Sheet {
            student: *student,
            written: written.iter().map(|(number, judgement)| (*number, judgement)).collect(),
            is_over,
        });
        Work {
            title: "Week one",
            rungs: &self.rungs,
            plan: Some(&self.plan),
            sheets: sheets.collect(),
        }
    }
}

fn order(minutes: u16, who: Who) -> NextOrder {
    NextOrder { who, minutes, seed: 5, ..NextOrder::default() }
}

#[test]
fn a_standing_is_told_by_what_was_judged() {
    let class = Class::new();
    let rung = &class.rungs[0];
    assert_eq!(Standing::of(&judge(rung, &[])), None);
    assert_eq!(Standing::of(&right(rung)), Some(Standing::Finished));
    assert_eq!(Standing::of(&wrong(rung)), Some(Standing::Breaks));
    let begun = judge(rung, &lines(&[&rung.line]));
    assert_eq!(Standing::of(&begun), Some(Standing::Begun));
    let below_a_break = judge(rung, &lines(&["x = 100001", &rung.answer.text]));
    assert_eq!(Standing::of(&below_a_break), Some(Standing::Answered), "{below_a_break:?}");
}

#[test]
fn what_was_done_adds_up_in_every_way_of_looking_at_it() {
    let class = Class::new();
    let works = [class.work(true), class.work(true)];
    let all = u32::try_from(class.rungs.len()).expect("few");
    let (skills, by_skill) = live::by_skill(&works);
    assert_eq!(skills, ["equations.linear", "ratio.share"]);
    let by_work = live::by_work(&works);
    let together = live::together(&by_work, works.len());
    for share in &together {
        assert_eq!((share.finished, share.tried, share.asked), (all + 3, 2 * all + 3, 4 * all));
    }
    let by_rung = live::by_rung(&works[0]);
    for (student, (finished, tried)) in [(1, (all, all)), (2, (3, 3)), (3, (0, all)), (4, (0, 0))] {
        for rows in [&by_skill, &by_work] {
            let row = rows.iter().find(|row| row.student == student).expect("a row");
            let sum = |of: fn(&live::Share) -> u32| row.shares.iter().map(of).sum::<u32>();
            assert_eq!(sum(|share| share.finished), 2 * finished, "{student}");
            assert_eq!(sum(|share| share.tried), 2 * tried, "{student}");
            assert_eq!(sum(|share| share.asked), 2 * all, "{student}");
        }
        let row = by_rung.iter().find(|row| row.student == student).expect("a row");
        assert_eq!(row.shares.len(), class.rungs.len());
        let standings = row.shares.iter().filter_map(|share| share.standing).count();
        assert_eq!(u32::try_from(standings).expect("few"), tried, "{student}");
    }
}

#[test]
fn what_was_not_given_to_a_student_is_not_asked_of_them() {
    let class = Class::new();
    let mut only = class.work(true);
    only.sheets.retain(|sheet| sheet.student == 1);
    let works = [class.work(true), only];
    for row in live::by_work(&works) {
        assert_eq!(row.shares[1].asked > 0, row.student == 1, "{}", row.student);
    }
}

#[test]
fn slips_are_counted_by_student_and_told_where() {
    let class = Class::new();
    // A slip that a student made: the coefficient was subtracted instead of divided by.
    let rung = skills::typed::rung::rung("3x = 12", None, Stage::Grip).expect("a rung");
    let slipped = judge(&rung, &lines(&["x = 9"]));
    let slip = slipped.lines[0].slip.expect("a slip is known there");
    let rungs = [rung];
    let sheet = |student| Sheet { student, written: vec![(1, &slipped)], is_over: false };
    let work = Work { title: "Slips", rungs: &rungs, plan: None, sheets: vec![sheet(1), sheet(2)] };
    let seen = live::slips(&[class.work(true), work.clone()], |_| true);
    let found = seen.iter().find(|seen| seen.slip == slip).expect("seen");
    assert_eq!(found.students, BTreeSet::from([1, 2]));
    assert_eq!(found.rungs, [(1, 1)]);
    let of_one = live::slips(&[work], |student| student == 2);
    assert_eq!(of_one[0].students, BTreeSet::from([2]));
}

#[test]
fn endings_that_mean_the_same_are_put_together() {
    let rung = skills::typed::rung::rung("2x + 3 = 11", None, Stage::Grip).expect("a rung");
    let desk = |texts: &[&str]| judge(&rung, &lines(texts));
    let desks = [
        desk(&["2x = 8", "x = 4"]),
        desk(&["x = 7"]),
        desk(&["4"]),
        desk(&["7 = x"]),
        desk(&["2x = 14", "x = 14/2"]),
        desk(&["x = 8"]),
        desk(&[]),
    ];
    let all: Vec<&Judgement> = desks.iter().collect();
    let groups = alike(&rung, &all);
    assert_eq!(groups[0], groups[2], "right is right, however it is written");
    assert_eq!(groups[1], groups[3], "a side is no difference");
    assert_eq!(groups[1], groups[4], "nor is a fraction that is not worked out");
    assert!(groups[5].is_some() && groups[5] != groups[1] && groups[5] != groups[0]);
    assert_eq!(groups[6], None);
}

#[test]
fn the_next_ladder_fits_its_time_and_says_why_each_rung_is_there() {
    let class = Class::new();
    let works = [class.work(true)];
    for minutes in [5, 12, 20, 45, 90] {
        let next = Next::of(&works, &order(minutes, who())).expect("a ladder");
        assert!(next.minutes <= minutes, "{minutes}: {}", next.minutes);
        assert!(!next.plan.rungs.is_empty());
        for placed in &next.plan.rungs {
            let why = placed.why.as_deref().expect("a reason");
            assert!(why.contains(':') || why.ends_with('.'), "{why}");
        }
        let rungs = next.plan.made().expect("every rung is proved");
        // It climbs, and none of its problems was asked before.
        assert!(rungs.is_sorted_by_key(|rung| rung.stage));
        for rung in &rungs {
            assert!(!class.rungs.iter().any(|old| old.is_same(rung)), "{}", rung.prompt);
        }
        let keys: BTreeSet<u32> = next.plan.rungs.iter().map(|placed| placed.key).collect();
        assert_eq!(keys.len(), next.plan.rungs.len());
        assert!(next.plan.next_key > *keys.last().expect("keys"));
    }
    let long = Next::of(&works, &order(90, who())).expect("a ladder");
    let short = Next::of(&works, &order(12, who())).expect("a ladder");
    assert!(long.plan.rungs.len() > short.plan.rungs.len());
}

#[test]
fn a_student_who_is_through_goes_one_step_on() {
    let class = Class::new();
    let only = |id: u64| who().into_iter().filter(|(known, _)| *known == id).collect::<Who>();
    let works = [class.work(true)];
    let ada = Next::of(&works, &order(30, only(1))).expect("a ladder");
    let whys: Vec<&str> = ada.plan.rungs.iter().filter_map(|one| one.why.as_deref()).collect();
    assert!(whys.iter().all(|why| why.starts_with("Ada finished")), "{whys:?}");
    assert!(ada.plan.made().expect("rungs").iter().all(|rung| rung.stage == Stage::Climb));
    let bo = Next::of(&works, &order(30, only(2))).expect("a ladder");
    assert!(
        bo.plan.rungs.iter().any(|one| {
            one.why.as_deref().is_some_and(|why| why.starts_with("Bo did not finish"))
        })
    );
    // Dee has written nothing: there is nothing to tell it by.
    assert_eq!(Next::of(&works, &order(30, only(4))), Err(NothingYet::NothingWritten));
}

#[test]
fn what_is_still_being_written_is_no_gap() {
    let class = Class::new();
    let bo: Who = [(2, "Bo".to_owned())].into();
    let next = Next::of(&[class.work(false)], &order(60, bo)).expect("a ladder");
    let missed = |why: &str| why.contains("did not finish");
    assert!(!next.plan.rungs.iter().filter_map(|one| one.why.as_deref()).any(missed));
}

#[test]
fn the_next_ladder_is_worked_as_the_class_is_taught() {
    let class = Class::new();
    let card = skills::find("equations.linear").expect("a skill").card();
    let other = card.methods[1].id;
    let mut order = order(60, who());
    order.methods.insert("equations.linear".into(), other);
    let next = Next::of(&[class.work(true)], &order).expect("a ladder");
    let linear: Vec<Rung> = next
        .plan
        .made()
        .expect("rungs")
        .into_iter()
        .filter(|rung| rung.skill == "equations.linear")
        .collect();
    assert!(!linear.is_empty());
    assert!(linear.iter().any(|rung| rung.method == other), "{:?}", linear[0].method);
    // A plan that is kept is worked anew in the same way, and says nothing where nothing changes.
    let taught = class.plan.taught(&order.methods).expect("another way");
    assert!(taught.made().expect("rungs").iter().any(|rung| rung.method == other));
    assert!(taught.taught(&order.methods).is_none());
    assert!(class.plan.taught(&[].into()).is_none());
    assert_eq!(method_named(other.as_str()), Some(other));
}

#[test]
fn what_holds_is_told_when_the_teacher_wants_it() {
    for (feedback, told) in [
        // Before its day is over, after it, and when there is no day.
        (Feedback::AtOnce, [true, true, true]),
        (Feedback::AfterDue, [false, true, false]),
        (Feedback::GivenBack, [false, false, false]),
    ] {
        let dues = [Some(100), Some(10), None];
        assert_eq!(dues.map(|due| feedback.tells(due, false, 50)), told, "{feedback:?}");
        assert_eq!(dues.map(|due| feedback.tells(due, true, 50)), [true; 3], "{feedback:?}");
        assert_eq!(Feedback::named(feedback.name()), feedback);
    }
    assert_eq!(Feedback::named("something newer"), Feedback::GivenBack);
}

#[test]
fn what_is_withheld_tells_how_a_line_was_read_and_nothing_else() {
    let rung = skills::typed::rung::rung("3x = 12", None, Stage::Grip).expect("a rung");
    for texts in [&["x = 9"][..], &["x = 4"], &["3x = 12", "x = 4"]] {
        let said = live::withheld(judge(&rung, &lines(texts)));
        assert!(!said.answered && !said.finished && said.next.is_empty());
        assert_eq!(said.lines.len(), texts.len());
        for (line, text) in said.lines.iter().zip(texts) {
            assert_eq!(line.plain.replace(' ', ""), text.replace(' ', ""));
            assert!(line.verdict.says.is_empty() && line.slip.is_none() && line.hints.is_empty());
            assert!(!line.answers && line.role.is_none());
        }
    }
}

#[test]
fn a_stage_opens_when_the_one_below_is_finished() {
    let class = Class::new();
    let first = |stage| class.rungs.iter().position(|rung| rung.stage == stage).expect("one");
    let up_to = |count: usize| live::open_to(&class.rungs, |at| at < count);
    assert_eq!(up_to(0), Stage::Grip);
    assert_eq!(up_to(first(Stage::Tilt) - 1), Stage::Grip);
    assert_eq!(up_to(first(Stage::Tilt)), Stage::Tilt);
    assert_eq!(up_to(first(Stage::Climb)), Stage::Climb);
    assert_eq!(up_to(class.rungs.len()), Stage::Climb);
}
