//! A problem that a teacher asks for in words is a problem on the desk: its answer is taken, and another one is not.

#[path = "../../../skills/tests/problems/in_words.rs"]
mod rows;

use crate::asked_solutions;
use crate::solutions::misjudged;
use desk::{DeskLine, judge};
use skills::ladder::Rung;
use skills::typed::rung::rung;
use teaching::skill::Stage;

fn written(rung: &Rung, text: &str) -> bool {
    judge(rung, &[DeskLine { text: text.to_owned(), latex: false }]).finished
}

#[test]
fn the_answer_is_taken_however_it_is_told() {
    let mut refused = Vec::new();
    for (problem, _) in rows::ROWS.iter().filter_map(|row| row.split_once(" => ")) {
        let rung =
            rung(problem, None, Stage::Grip).unwrap_or_else(|no| panic!("{problem}: {}", no.says));
        let answer = &rung.answer;
        for told in [answer.text.clone(), format!("It is {}.", answer.text), answer.value.clone()] {
            if !written(&rung, &told) {
                refused.push(format!("{problem}: {told}"));
            }
        }
    }
    // "It is no: 91 = 7 × 13." is no sentence that anybody writes.
    refused.retain(|told| !told.contains("It is no:"));
    assert!(refused.is_empty(), "{}: {refused:#?}", refused.len());
}

#[test]
fn another_answer_is_not_taken() {
    let mut taken = Vec::new();
    for (at, (problem, _)) in rows::ROWS.iter().filter_map(|row| row.split_once(" => ")).enumerate()
    {
        let rung =
            rung(problem, None, Stage::Grip).unwrap_or_else(|no| panic!("{problem}: {}", no.says));
        let answer = &rung.answer.text;
        for told in
            ["987654", "0.0123", "x = 987", "It is 98765.", "987 : 654", "maybe", "98765 cm^2"]
        {
            if written(&rung, told) && told != answer {
                taken.push(format!("{at} {problem}: {told}"));
            }
        }
    }
    assert!(taken.is_empty(), "{}: {taken:#?}", taken.len());
}

#[test]
fn whole_solutions_are_judged_line_by_line() {
    let mut wrong = Vec::new();
    let mut count = 0;
    for (problem, solutions) in asked_solutions::ALL {
        let rung =
            rung(problem, None, Stage::Grip).unwrap_or_else(|no| panic!("{problem}: {}", no.says));
        wrong.extend(misjudged(problem, &rung, solutions));
        count += solutions.len();
    }
    assert!(count > 350, "{count}");
    assert!(wrong.is_empty(), "{}: {wrong:#?}", wrong.len());
}
