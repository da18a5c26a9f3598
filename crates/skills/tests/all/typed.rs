//! Problems as teachers type them, in mathematics and in words. The answers of the list were reckoned by another program,
//! with another language's arithmetic.

#[path = "../problems/in_other_words.rs"]
mod in_other_words;
#[path = "../problems/in_words.rs"]
mod in_words;
#[path = "../problems/typed.rs"]
mod rows;
#[path = "../problems/workings_in_words.rs"]
mod workings_in_words;

use algebra::Role;
use skills::find;
use skills::typed::work;
use teaching::verdict::VerdictWord;

/// The problem, its answer, and the skill it belongs to.
fn row(line: &str) -> (&str, &str, &str) {
    let (problem, rest) = line.split_once(" => ").expect("a problem and its answer");
    let (answer, skill) = rest.rsplit_once(" [").expect("an answer and its skill");
    (problem, answer, skill.trim_end_matches(']'))
}

#[test]
fn every_typed_problem_gets_its_answer_and_its_skill() {
    let mut wrong = Vec::new();
    for (problem, answer, skill) in rows::ROWS.iter().map(|line| row(line)) {
        let found = match work(problem, None) {
            Ok(found) => found,
            Err(no) => {
                wrong.push(format!("{problem}: {}", no.says));
                continue;
            }
        };
        let told = found.answer.text.as_str();
        if told != answer || found.skill != skill {
            wrong.push(format!("{problem}: {told} [{}]", found.skill));
        }
    }
    assert!(rows::ROWS.len() >= 300);
    assert!(wrong.is_empty(), "{}: {wrong:#?}", wrong.len());
}

#[test]
fn what_is_asked_for_in_words_is_understood_and_answered() {
    let mut wrong = Vec::new();
    for line in in_words::ROWS.iter().chain(in_other_words::ROWS) {
        let (problem, answer) = line.split_once(" => ").expect("a problem and its answer");
        match work(problem, None) {
            Ok(found) if found.answer.text == answer => {
                assert!(found.understood.is_none_or(|says| says.len() > 3), "{problem}");
            }
            Ok(found) => wrong.push(format!("{problem}: {}", found.answer.text)),
            Err(no) => wrong.push(format!("{problem}: {}", no.says)),
        }
    }
    assert!(in_words::ROWS.len() >= 800);
    assert!(wrong.is_empty(), "{}: {wrong:#?}", wrong.len());
}

#[test]
fn what_only_looks_like_a_task_gets_no_wrong_answer() {
    for (problem, wrong) in in_other_words::OTHERS {
        if let Ok(found) = work(problem, None) {
            assert!(!found.answer.text.contains(wrong), "{problem}: {}", found.answer.text);
        }
    }
}

#[test]
fn every_line_of_a_typed_working_is_proved_and_has_its_reason() {
    let in_words = in_words::ROWS.iter().filter_map(|line| line.split_once(" => "));
    let problems = rows::ROWS.iter().map(|line| row(line).0).chain(in_words.map(|row| row.0));
    for problem in problems {
        let found = work(problem, None).unwrap_or_else(|no| panic!("{problem}: {}", no.says));
        let least = if found.understood.is_some() { 1 } else { 2 };
        assert!(found.working.len() >= least, "{problem}");
        for line in &found.working {
            let is_proved = matches!(line.verdict, VerdictWord::Holds | VerdictWord::Given);
            assert!(is_proved && !line.reason.is_empty(), "{problem}: {}", line.math);
            let is_given = line.verdict == VerdictWord::Given;
            let claims = line.latex.is_some() && line.role != Role::Starts;
            assert!(!is_given || !claims, "{problem}: {}", line.math);
        }
        let is_told = found.working.iter().all(|line| line.latex.is_none());
        assert!(!found.latex.is_empty() || is_told, "{problem}");
        assert!(find(&found.skill).is_some() && !found.title.is_empty(), "{problem}");
        assert!(found.prompt.len() > 3 && !found.methods.is_empty(), "{problem}");
    }
}

#[test]
#[rustfmt::skip]
fn what_is_no_task_is_refused_with_a_sentence() {
    for problem in [
        "15% of", "% of 60", "round 5 to x figures", "share 60 in 2:", "5 km in kg", "convert 45 to seven", "half-life 0 days, 80 g, 24 days",
        "prime factors of 1", "prime factors of 99999999999", "leg with hypotenuse 3 and leg 5", "24/0 in lowest terms", "nth term of 1, 2, 4, 9",
        "factorise", "solve", "what", "9^9^9^9", "1/0", "0% of", "share 0 in 0:0", "9 is 0% of what", "tan x = x", "the bees",
    ] {
        match work(problem, None) {
            Ok(found) => panic!("{problem} was worked as {:?}", found.working.last().map(|line| &line.math)),
            Err(no) => assert!(no.says.ends_with('.'), "{problem}: {}", no.says),
        }
    }
}

#[test]
fn words_may_lead_in_and_signs_may_follow() {
    for (one, other) in [
        ("15% of 60", "What is 15 % of 60?"),
        ("hcf of 12 and 18", "find the HCF of 12 and 18."),
        ("round 3.14159 to 2 dp", "Round 3.14159 to 2 decimal places"),
        ("factorise x^2 + 5x + 6", "Factor: x^2 + 5x + 6"),
        ("solve A = 1/2 b h for h", "make h the subject of A = 1/2 b h"),
    ] {
        let lines = |problem: &str| {
            let found = work(problem, None).unwrap_or_else(|no| panic!("{problem}: {}", no.says));
            found.working.into_iter().map(|line| line.math).collect::<Vec<_>>()
        };
        assert_eq!(lines(one), lines(other));
    }
}

#[test]
fn workings_in_words_are_as_they_are_taught() {
    let mut wrong = Vec::new();
    for (problem, lines) in workings_in_words::WORKINGS {
        let found = work(problem, None).unwrap_or_else(|no| panic!("{problem}: {}", no.says));
        let told: Vec<&str> = found.working.iter().map(|line| line.math.as_str()).collect();
        if told != *lines {
            wrong.push(format!("{problem}: {told:?}"));
        }
    }
    assert!(wrong.is_empty(), "{}: {wrong:#?}", wrong.len());
}

/// Numbers with which there is no such task are refused, and nothing is worked in their place.
#[test]
fn what_cannot_be_is_not_worked() {
    for problem in [
        "hypotenuse 3, one leg 5, find the other leg",
        "third angle of a triangle with angles 100 and 90",
        "share 60 in the ratio 0:0",
        "12 is 0% of what number",
        "what percent of 0 is 5",
        "percentage change from 0 to 60",
        "area of a triangle with base 0 and height 4",
        "area of a triangle with base 6 cm and height 4 kg",
        "a car travels 150 km in 0 hours. Find its speed",
        "convert 5 km to kg",
        "convert 129 from binary to decimal",
        "sum to infinity of 1, 2, 4",
        "complement of 100",
        "how many sides does a regular polygon with exterior angle 50 have",
        "divide 17 by 0",
        "5 choose 9",
        // The question is turned round: what is gone, and not what is left.
        "a coat costs £60. It is reduced by 15%. How much is saved off the price?",
        "a jacket costs £80. It is reduced by 30%. By how much does the price fall?",
        "a car costs £12000 and loses 15% of its value each year. How much value is lost after 2 years?",
        "the population is 5000 and grows by 2% a year. How many more people after 2 years?",
        "a shirt costs £24 after a 20% reduction. How much was taken off the original price?",
        "half life 3 days, 80 g, how much has decayed after 9 days",
        "round 3.14159 to 99 decimal places",
        "time 45 minutes after 27:80",
        "80 g with half life 0 days after 9 days",
        "y is inversely proportional to x and y = 6 when x = 4. Find y when x = 0",
    ] {
        if let Ok(found) = work(problem, None) {
            panic!("{problem} was worked as {}", found.answer.text);
        }
    }
}
