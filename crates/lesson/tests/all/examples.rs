//! The working bench: what a teacher does with a worked example, and what stays true whatever is done.

#[path = "../../../skills/tests/problems/typed.rs"]
mod rows;

use desk::DeskLine;
use lesson::bench::{Plan, change as change_ladder};
use lesson::example::{Blank, Detail, Example, ExampleChange as Change, change};
use skills::SKILLS;
use skills::ladder::LadderOrder;
use teaching::ids::MethodId;
use teaching::slips::SecondTermNotMultiplied;
use teaching::verdict::VerdictWord::{self, Breaks, Given, Holds};

fn typed(problem: &str) -> Example {
    Example::typed(problem, None).unwrap_or_else(|why| panic!("{problem}: {}", why.says))
}

fn plain(text: &str) -> DeskLine {
    DeskLine { text: text.into(), latex: false }
}

#[track_caller]
fn done(example: &Example, by: &Change) -> Example {
    change(example, by).unwrap_or_else(|why| panic!("{by:?}: {}", why.says))
}

#[track_caller]
fn refused(example: &Example, by: &Change) -> String {
    match change(example, by) {
        Ok(made) => panic!("{by:?} was made: {:?}", lines(&made)),
        Err(why) => why.says,
    }
}

fn lines(example: &Example) -> Vec<(&str, VerdictWord)> {
    example.working.iter().map(|line| (line.line.math.as_str(), line.line.verdict)).collect()
}

fn write(line: usize, text: &str) -> Change {
    Change::Write { line, text: plain(text) }
}

#[test]
fn a_line_of_ones_own_is_judged_as_a_students_and_those_below_follow() {
    let example = typed("3(2x - 5) = 27");
    let right = done(&example, &write(1, "2x - 5 = 9"));
    let expected =
        [("3(2x - 5) = 27", Given), ("2x - 5 = 9", Holds), ("6x = 42", Holds), ("x = 7", Holds)];
    assert_eq!(lines(&right), expected);
    // Reasons say what is done now; the one below is made from another line than before.
    assert_eq!(right.working[1].line.reason, "Divide both sides by $3$");
    assert!(right.working[2].line.reason.starts_with("Add"), "{}", right.working[2].line.reason);
    let wrong = done(&example, &write(1, "6x - 5 = 27"));
    let expected =
        [("3(2x - 5) = 27", Given), ("6x - 5 = 27", Breaks), ("6x = 42", Holds), ("x = 7", Holds)];
    assert_ne!(lines(&wrong)[2].1, Given);
    assert_eq!(lines(&wrong)[..2], expected[..2]);
    assert!(wrong.working[1].says.contains("in the bracket"), "{}", wrong.working[1].says);
    assert_eq!(done(&wrong, &Change::Restore { line: 1 }), example);
}

#[test]
fn a_line_may_be_put_between_and_taken_out_again() {
    let example = typed("3x + 5 = 26");
    let more = done(&example, &Change::Insert { below: 0, text: plain("3x + 5 - 5 = 26 - 5") });
    assert_eq!(lines(&more)[1], ("3x + 5 - 5 = 26 - 5", Holds));
    assert_eq!(more.working.len(), example.working.len() + 1);
    let words = done(&more, &Change::Insert { below: 3, text: plain("So seven bees fit.") });
    assert_eq!(lines(&words)[4], ("So seven bees fit.", Given));
    let back = done(&words, &Change::Restore { line: 4 });
    assert_eq!(done(&back, &Change::Restore { line: 1 }), example);
}

#[test]
fn what_cannot_be_read_changes_nothing_and_says_where() {
    let example = typed("3x + 5 = 26");
    let why = change(&example, &write(1, "3x = (26 - 5")).expect_err("unreadable");
    assert_eq!(why.at, Some((5, 6)));
    assert!(why.mend.is_some());
    assert!(refused(&example, &write(0, "3x = 12")).contains("the problem itself"));
    assert!(refused(&example, &write(99, "3x = 12")).contains("no longer there"));
    assert!(
        refused(&example, &Change::Method { id: MethodId::new("magic") }).contains("does not fit")
    );
    let cut = Change::Reason { line: 1, text: Some("costs $5".into()) };
    assert!(refused(&example, &cut).contains("dollar sign"));
    let long = Change::Reason { line: 1, text: Some("x".repeat(301)) };
    assert!(refused(&example, &long).contains("300"));
}

#[test]
fn own_lines_are_never_written_over() {
    let own = done(&typed("3(2x - 5) = 27"), &write(1, "2x - 5 = 9"));
    for by in [
        Change::Vary { seed: 1 },
        Change::Method { id: MethodId::new("undo") },
        Change::Detail { detail: Detail::Brisk },
        Change::Slip { slip: None },
    ] {
        assert!(refused(&own, &by).starts_with("Lines of your own"), "{by:?}");
    }
}

#[test]
fn a_reason_is_reworded_and_comes_back() {
    let example = typed("3x + 5 = 26");
    let text = "Take the loose jars away".to_owned();
    let worded = done(&example, &Change::Reason { line: 1, text: Some(text.clone()) });
    assert_eq!(worded.working[1].line.reason, text);
    // It stays with its line when more is written down.
    let more = done(&worded, &Change::Detail { detail: Detail::WrittenOut });
    assert!(more.working.iter().any(|line| line.line.reason == text));
    assert_eq!(done(&worded, &Change::Reason { line: 1, text: None }), example);
}

#[test]
fn what_is_left_out_is_asked_for_and_filled_in_again() {
    let example = typed("3(2x - 5) = 27");
    let out = |blank, out| Change::Leave { line: 1, blank, out };
    let asked = done(&example, &out(Blank::Number { at: 1 }, true));
    let shown = asked.working[1].asked.as_ref().expect("a blank");
    assert_eq!(shown.speech, "6 x minus blank equals 27");
    let both = done(&asked, &out(Blank::Reason, true));
    assert!(both.working[1].asked.as_ref().is_some_and(|asked| asked.reason));
    let back = done(&both, &out(Blank::Reason, false));
    assert_eq!(done(&back, &out(Blank::Number { at: 1 }, false)), example);
    // What is not there cannot be left out.
    let none = done(&example, &out(Blank::Number { at: 40 }, true));
    assert_eq!(none, example);
}

#[test]
fn a_slip_is_put_in_and_taken_out() {
    let example = typed("3(2x - 5) = 27");
    let offered = example.slips().expect("made");
    let bracket = offered.iter().find(|offer| offer.slip.id == SecondTermNotMultiplied::ID);
    let slip = Some(bracket.expect("it is offered").slip.clone());
    let broken = done(&example, &Change::Slip { slip });
    let breaks: Vec<_> = broken.working.iter().map(|line| line.line.verdict == Breaks).collect();
    assert_eq!(breaks.iter().filter(|breaks| **breaks).count(), 1);
    assert_eq!(lines(&broken)[1], ("6x - 5 = 27", Breaks));
    assert_eq!(lines(&broken).last(), Some(&("x = 16/3", Holds)));
    assert!(!broken.working[1].says.is_empty());
    assert_eq!(done(&broken, &Change::Slip { slip: None }), example);
    // Whatever is said to be a slip has to be one.
    let mut forged = broken.slip.clone().expect("put in");
    forged.math = "6x - 15 = 27".into();
    assert!(refused(&example, &Change::Slip { slip: Some(forged) }).contains("cannot be made"));
}

#[test]
fn a_line_is_folded_only_into_one_that_follows_from_it() {
    let example = typed("3(2x - 5) = 27");
    let folded = done(&example, &Change::Fold { line: 1, folded: true });
    assert!(folded.working[1].folded);
    assert_eq!(done(&folded, &Change::Fold { line: 1, folded: false }), example);
    for line in [0, 3, 17] {
        assert!(refused(&example, &Change::Fold { line, folded: true }).contains("in one go"));
    }
    // A line that breaks is never hidden.
    let wrong = done(&example, &write(1, "6x - 5 = 27"));
    assert!(refused(&wrong, &Change::Fold { line: 1, folded: true }).contains("in one go"));
}

#[test]
#[rustfmt::skip]
fn numbers_vary_and_the_structure_stays() {
    for problem in [
        "3(2x - 5) = 27", "n/6 = 10/15", "3/4 + 1/8", "15% of 60", "x^2 - 5x + 6 = 0", "share 60 in 2:3", "2x + 3 < 11",
        "hypotenuse with legs 5 and 12", "x + y = 10; x - y = 4", "5 km in m", "round 0.004863 to 2 s.f.", "sqrt 180",
    ] {
        let mut example = typed(problem);
        for _ in 0..3 {
            let next = done(&example, &Change::Vary { seed: 1 });
            assert_ne!(next.problem, example.problem);
            assert_eq!(next.method, example.method, "{problem}");
            assert_eq!(next.working.len(), example.working.len(), "{problem}");
            assert!(next.working.iter().all(|line| matches!(line.line.verdict, Holds | Given)), "{problem}");
            example = next;
        }
    }
    let why = refused(&typed("x + 1 = 1"), &Change::Vary { seed: 1 });
    assert!(why.contains("Type another problem"), "{why}");
}

#[test]
fn what_was_made_of_an_example_goes_along_when_its_numbers_vary() {
    let example = typed("3(2x - 5) = 27");
    let slip = example.slips().expect("made").swap_remove(0).slip;
    let out = Change::Leave { line: 1, blank: Blank::Number { at: 1 }, out: true };
    let made = done(&done(&example, &out), &Change::Slip { slip: Some(slip.clone()) });
    let next = done(&made, &Change::Vary { seed: 1 });
    let kept = next.slip.expect("the slip goes along");
    assert_eq!((kept.line, kept.id), (slip.line, slip.id));
    let words = Change::Reason { line: 1, text: Some("Share out the bracket".into()) };
    let next = done(&done(&done(&example, &out), &words), &Change::Vary { seed: 1 });
    assert_eq!(next.working[1].line.reason, "Share out the bracket");
    assert!(next.working[1].asked.is_some());
}

#[test]
fn every_typed_problem_can_be_made_again_by_each_method_and_in_each_detail() {
    for problem in rows::ROWS.iter().filter_map(|row| Some(row.split_once(" => ")?.0)) {
        let example = typed(problem);
        for method in example.methods.clone() {
            let other = done(&example, &Change::Method { id: method.id });
            assert_eq!(other.method, method.id, "{problem}");
            for detail in [Detail::WrittenOut, Detail::Brisk, Detail::Usual] {
                let made = done(&other, &Change::Detail { detail });
                let sound = made.working.iter().all(|line| line.is_sound());
                assert!(sound, "{problem}: {:?}", lines(&made));
                assert!(
                    made.working.iter().any(|line| line.line.role == algebra::Role::Starts),
                    "{problem}"
                );
            }
        }
    }
}

#[test]
fn a_problem_of_every_skill_and_stage_can_be_drawn_and_varied() {
    let mut stiff = Vec::new();
    for skill in SKILLS {
        let id = skill.card().id;
        let order = LadderOrder {
            skills: vec![id.into()],
            grip: 1,
            tilt: 1,
            climb: 1,
            seed: 5,
            ..LadderOrder::default()
        };
        let draw = lesson::bench::Change::Draw { order: order.clone() };
        let plan = change_ladder(&Plan::new(order), &draw).expect("drawn");
        for placed in &plan.rungs {
            let lesson::bench::Source::Drawn(drawn) = &placed.source else { continue };
            let example = Example::of(drawn).unwrap_or_else(|why| panic!("{id}: {}", why.says));
            assert_eq!(example.again().as_ref(), Ok(&example), "{id}");
            for method in &example.methods {
                let other = done(&example, &Change::Method { id: method.id });
                assert_eq!(other.again().as_ref(), Ok(&other), "{id}");
            }
            match change(&example, &Change::Vary { seed: 1 }) {
                Ok(next) => assert_ne!(next.problem, example.problem, "{id}"),
                Err(_) => stiff.push(format!("{id} {:?}", placed.stage())),
            }
        }
    }
    // Some problems are made of words, or of numbers that all hang together.
    assert!(stiff.len() <= 30, "{}: {stiff:#?}", stiff.len());
}

#[test]
fn whoever_made_a_slip_is_not_for_a_page_to_say() {
    let example = typed("3(2x - 5) = 27");
    let mut slip = example.slips().expect("made").swap_remove(0).slip;
    slip.name = "x".repeat(9_000);
    assert!(refused(&example, &Change::Slip { slip: Some(slip) }).contains("cannot be made"));
}

#[test]
fn a_slip_that_its_teacher_mends_is_a_slip_no_more() {
    let example = typed("3(2x - 5) = 27");
    let slip = example.slips().expect("made").into_iter().map(|offer| offer.slip);
    let slip = slip.rev().find(|slip| slip.line == 1).expect("one in line 2");
    let broken = done(&example, &Change::Slip { slip: Some(slip) });
    let mended = done(&broken, &write(1, "6x - 15 = 27"));
    assert_eq!((lines(&mended)[1].1, mended.working[1].says.as_str()), (Holds, ""));
    assert_eq!(lines(&mended)[0].1, Given);
}

#[test]
fn a_blank_is_left_out_once_however_often_it_is_asked_for() {
    let example = typed("3(2x - 5) = 27");
    let mut many = example.clone();
    many.working[1].blanks = vec![Blank::Number { at: 1 }; 5_000];
    let once = many.again().expect("made");
    assert_eq!(once.working[1].blanks, [Blank::Number { at: 1 }]);
}
