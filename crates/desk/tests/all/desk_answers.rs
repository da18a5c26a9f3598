//! Answers on the Step Desk that are more than a number: rounded, in degrees, for a letter, in a story, with a check below.

use algebra::form::Form;
use algebra::write::text;
use desk::{DeskLine, Judgement, judge};
use skills::ladder::{Ladder, LadderOrder, Rung};
use teaching::verdict::VerdictWord::{self, Breaks, CantTell, Holds};

/// A rung of a skill, with its problem and its key put in its place.
fn rung(skill: &str, line: &str, unknown: &str, answer: &str, form: &str, given: &[&str]) -> Rung {
    let skills = vec![skill.to_owned()];
    let order = LadderOrder { skills, grip: 1, seed: 1, ..LadderOrder::default() };
    let mut rung = Ladder::make(&order).expect("made").rungs.remove(0);
    rung.line = line.into();
    rung.unknown = unknown.into();
    rung.story = false;
    rung.given = given.iter().map(|&given| given.to_owned()).collect();
    rung.answer.text = answer.into();
    rung.answer.value = answer.into();
    rung.answer.form = Form::named(form).expect(form);
    rung.answer.unit = None;
    let read = algebra::read_line(answer).expect("readable").line;
    rung.answer.latex = Some(algebra::write::latex_line(&read));
    rung
}

#[track_caller]
fn desk(rung: &Rung, lines: &[(&str, VerdictWord)], finished: bool) -> Judgement {
    let written: Vec<DeskLine> =
        lines.iter().map(|(text, _)| DeskLine { text: (*text).into(), latex: false }).collect();
    let found = judge(rung, &written);
    for ((text, expected), line) in lines.iter().zip(&found.lines) {
        assert_eq!(line.verdict.word, *expected, "{text}: {}", line.verdict.says);
    }
    assert_eq!(found.finished, finished, "{:?}", lines.last());
    found
}

#[test]
#[rustfmt::skip]
fn a_rounded_answer_may_be_written_in_any_fair_way() {
    let around = rung("circle.circumference", "2π × 7", "", "≈ 44.0", "decimal:1", &[]);
    desk(&around, &[("14π", Holds), ("≈ 44.0", Holds)], true);
    desk(&around, &[("≈ 44.0", Holds)], true);
    desk(&around, &[("2π × 7 ≈ 44.0", Holds)], true);
    desk(&around, &[("14π", Holds)], false);
    desk(&around, &[("≈ 43.98", Holds)], false);
    desk(&around, &[("≈ 44", Holds)], false);
    desk(&around, &[("≈ 43.9", Breaks)], false);
    desk(&around, &[("≈ 22.0", Breaks)], false);
}

#[test]
fn an_equals_sign_before_a_rounded_value_is_told_and_taken() {
    let around = rung("circle.circumference", "2π × 7", "", "≈ 44.0", "decimal:1", &[]);
    let found = desk(&around, &[("44.0", Holds)], true);
    assert!(found.lines[0].verdict.says.contains('≈'), "{}", found.lines[0].verdict.says);
    let side = rung("trig.side", "sin(35°) = x/12", "x", "x ≈ 6.9", "decimal:1", &[]);
    let found = desk(&side, &[("x = 12 sin(35°)", Holds), ("x = 6.9", Holds)], true);
    assert!(found.lines[1].verdict.says.contains('≈'), "{}", found.lines[1].verdict.says);
    desk(&side, &[("x = 12 sin(35°)", Holds), ("x ≈ 6.9", Holds)], true);
    desk(&side, &[("x = 6.8", Breaks)], false);
}

#[test]
fn degrees_are_read_as_they_are_meant_and_the_sign_is_asked_for() {
    let given = ["0 < A < π/2"];
    let angle = rung("trig.angle", "tan A = 3/4", "A", "A ≈ 36.9°", "decimal:1", &given);
    desk(&angle, &[("A = arctan(3/4)", Holds), ("A ≈ 36.9°", Holds)], true);
    desk(&angle, &[("A = tan^-1(3/4)", Holds), ("A ≈ 36.87°", Holds)], false);
    let found = desk(&angle, &[("A = arctan(3/4)", Holds), ("A ≈ 36.9", Holds)], true);
    assert!(found.lines[1].verdict.says.contains('°'), "{}", found.lines[1].verdict.says);
    desk(&angle, &[("A ≈ 53.1°", Breaks)], false);
    // In radians it is the same angle, and not what was asked for.
    desk(&angle, &[("A ≈ 0.6", Holds)], false);
    desk(&angle, &[("A ≈ 0.64", Holds)], false);
    desk(&angle, &[("A = 0.6", Breaks)], false);
    // A calculator that is set to degrees.
    let side = rung("trig.side", "sin(35°) = x/12", "x", "x ≈ 6.9", "decimal:1", &[]);
    let found = desk(&side, &[("x = 12 sin(35)", Holds), ("x ≈ 6.9", Holds)], true);
    assert!(found.lines[0].verdict.says.contains('°'), "{}", found.lines[0].verdict.says);
    desk(&side, &[("x = 12 cos(35°)", Breaks)], false);
}

#[test]
fn what_is_assumed_of_a_letter_holds_on_the_desk_too() {
    let circle = rung("circle.area", "π r^2 = 49π", "r", "r = 7", "solved_for:r", &["r > 0"]);
    desk(&circle, &[("r^2 = 49", Holds), ("r = 7", Holds)], true);
    let free = rung("circle.area", "π r^2 = 49π", "r", "r = 7", "solved_for:r", &[]);
    let found = judge(&free, &[DeskLine { text: "r = 7".into(), latex: false }]);
    assert_eq!(found.lines[0].verdict.word, VerdictWord::DropsSolution);
}

#[test]
fn a_formula_is_answered_when_the_letter_stands_alone() {
    let formula =
        rung("equations.rearrange", "A = b h/2", "h", "h = 2A/b", "solved_for:h", &["positive"]);
    desk(&formula, &[("2A = b h", Holds), ("h = 2A/b", Holds)], true);
    desk(&formula, &[("b h = 2A", Holds)], false);
    desk(&formula, &[("h = A/(2b)", Breaks)], false);
}

#[test]
fn words_and_checks_may_stand_below_the_answer() {
    let linear = rung("equations.linear", "3x + 5 = 26", "x", "x = 7", "solved_for:x", &[]);
    desk(&linear, &[("3x = 21", Holds), ("x = 7", Holds), ("3 × 7 + 5 = 26", Holds)], true);
    desk(&linear, &[("x = 7", Holds), ("So one crate holds seven jars.", CantTell)], true);
    desk(&linear, &[("x = 7", Holds), ("3 × 7 + 5 = 27", Breaks)], false);
    desk(&linear, &[("x = 7", Holds), ("3x = 21", Holds)], false);
}

#[test]
fn a_story_is_set_up_in_any_letter_also_with_two_solutions() {
    let mut story = rung(
        "equations.absolute",
        "abs(x - 450) = 8",
        "x",
        "x = 442 or x = 458",
        "all_solutions",
        &[],
    );
    story.story = true;
    let two = "m = 442 or m = 458";
    desk(&story, &[("|m - 450| = 8", Holds), (two, Holds)], true);
    desk(
        &story,
        &[("458 - 450 = 8", Holds), ("|x - 450| = 8", Holds), ("x = 458 or x = 442", Holds)],
        true,
    );
    desk(&story, &[("|x - 450| = 9", CantTell)], false);
    desk(&story, &[("|x - 450| = 8", Holds), ("x = 458", VerdictWord::DropsSolution)], false);
}

#[test]
fn a_rounded_key_says_its_number() {
    for skill in ["circle.area", "trig.side", "trig.angle", "exponential.solve", "trig.solid"] {
        let skills = vec![skill.to_owned()];
        let order =
            LadderOrder { skills, grip: 4, tilt: 4, climb: 4, seed: 3, ..LadderOrder::default() };
        let made = Ladder::make(&order).expect("made");
        let rounded: Vec<&Rung> =
            made.rungs.iter().filter(|rung| matches!(rung.answer.form, Form::Decimal(_))).collect();
        assert!(rounded.len() >= 3, "{skill}");
        for rung in rounded {
            let last = rung
                .working
                .iter()
                .rfind(|line| line.role == algebra::Role::Rounds)
                .expect("rounded");
            let number = algebra::read_line(&last.math).expect("readable").line;
            let number = match &number {
                algebra::Line::Rounded(value) => text(value),
                line => text(line.expressions().last().expect("a side")),
            };
            assert!(rung.answer.text.contains(&number), "{number} in {}", rung.answer.text);
            let right = rung.choices.iter().find(|choice| choice.right).expect("one is right");
            assert!(right.text.contains(&number), "{number} in {}", right.text);
        }
    }
}
