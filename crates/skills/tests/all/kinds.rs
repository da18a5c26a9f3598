//! The kind of an answer, read off a rung: what would be asked for on a phone, and what stands on paper.

use serde_json::{Value, json};
use skills::ladder::{Choice, Ladder, LadderOrder, Rung};
use teaching::answer::{AnswerKind, AnswerSpace};

/// A rung with that prompt and that answer.
fn rung(prompt: &str, answer: Value, choices: &[&str]) -> Rung {
    let skills = vec!["equations.linear".to_owned()];
    let order = LadderOrder { skills, grip: 1, seed: 1, ..LadderOrder::default() };
    let mut rung = Ladder::make(&order).expect("made").rungs.remove(0);
    rung.prompt = prompt.to_owned();
    rung.answer = serde_json::from_value(answer).expect("an answer");
    let choice = |text: &&str| Choice {
        text: (*text).to_owned(),
        right: *text == rung.answer.value,
        slip: None,
    };
    rung.choices = choices.iter().map(choice).collect();
    (rung.figure, rung.flawed, rung.story) = (None, None, false);
    rung
}

fn words(prompt: &str, value: &str, choices: &[&str]) -> Rung {
    rung(prompt, json!({"text": value, "latex": "", "value": value, "form": "any"}), choices)
}

fn maths(latex: &str, form: &str, unit: Option<&str>) -> Rung {
    let mut answer = json!({"text": latex, "latex": latex, "value": latex, "form": form});
    if let Some(unit) = unit {
        answer["unit"] = json!(unit);
    }
    rung("What is it?", answer, &[])
}

fn name(rung: &Rung) -> String {
    let kind = serde_json::to_value(rung.kind()).expect("JSON");
    kind["kind"].as_str().expect("a name").to_owned()
}

#[test]
#[rustfmt::skip]
fn words_are_asked_for_as_what_they_are() {
    for (prompt, value, choices, kind) in [
        ("Is 44 odd or even?",                              "even",            &["even", "odd"][..],                     "choice"),
        ("Which unit fits best?",                           "metres",          &["litres", "metres"],                    "choice"),
        ("Is the price the same?",                          "the price is the same", &["the price is not the same", "the price is the same"], "choice"),
        ("Which equation fits?",                            "x = 134/2",       &["x = 134", "x = 134/2"],                "choice"),
        ("Which is larger: $\\frac{5}{9}$ or $\\frac{4}{9}$?", "5/9",          &["4/9", "5/9"],                          "choice"),
        ("Which is more: 3.1 kg or 3200 g?",                "3200 g",          &["3.1 kg", "3200 g"],                    "choice"),
        ("True or false? $2 = 3$ Say why.",                 "false",           &["true", "false"],                       "judgement"),
        ("Put in order: $\\frac{2}{3}$, $\\frac{1}{2}$, $\\frac{1}{4}$.", "1/4 < 1/2 < 2/3", &["1/4 < 1/2 < 2/3", "2/3 < 1/2 < 1/4"], "order"),
        ("In how many ways can Sanna do it?",               "6 ways",          &["5 ways", "6 ways"],                    "quantity"),
        ("Round 278 to the nearest ten.",                   "280",             &["270", "280"],                          "number"),
        ("What is its bearing?",                            "072°",            &["072°", "288°"],                        "bearing"),
        ("Write it as a ratio in lowest terms.",            "7:9",             &["7:9", "9:7"],                          "ratio"),
        ("How many tens and ones are in 24?",               "2 tens and 4 ones", &["2 tens and 4 ones", "4 tens and 2 ones"], "words"),
        ("Put brackets into it.",                           "(4 + 3) × 5 - 3", &["(4 + 3) × 5 - 3", "4 + (3 × 5 - 3)"],  "words"),
    ] {
        assert_eq!(name(&words(prompt, value, choices)), kind, "{prompt}");
    }
}

#[test]
#[rustfmt::skip]
fn mathematics_is_asked_for_as_what_it_is() {
    for (latex, form, unit, kind) in [
        ("63",                               "any",          None,        "number"),
        ("\\frac{3}{4}",                     "lowest_terms", None,        "number"),
        ("12.6",                             "decimal:1",    None,        "number"),
        ("189",                              "any",          Some("cm²"), "quantity"),
        ("36",                               "any",          Some("jars"), "quantity"),
        ("1011_{2}",                         "any",          None,        "numeral"),
        ("3x + 12",                          "expanded",     None,        "expression"),
        ("y = 6x + 7",                       "any",          None,        "equation"),
        ("x = 3",                            "solved_for:x", None,        "solutions"),
        ("x = 3 \\text{ or } x = -2",        "all_solutions", None,       "solutions"),
        ("x < 4",                            "any",          None,        "interval"),
        ("x = 3 \\text{ and } y = -2",       "any",          None,        "pair"),
    ] {
        assert_eq!(name(&maths(latex, form, unit)), kind, "{latex}");
    }
}

#[test]
fn a_kind_tells_what_stands_on_paper() {
    let space = |rung: &Rung| rung.kind().space();
    assert_eq!(space(&maths("63", "any", None)), AnswerSpace::Box);
    assert_eq!(space(&maths("x = 3", "solved_for:x", None)), AnswerSpace::Line);
    assert_eq!(space(&words("Odd or even?", "even", &["even", "odd"])), AnswerSpace::Circles);
}

#[test]
fn a_unit_that_the_question_names_is_no_choice() {
    let units = |rung: &Rung| match rung.kind() {
        AnswerKind::Quantity { units, .. } => units,
        other => panic!("{other:?}"),
    };
    let mut rung = maths("189", "any", Some("cm²"));
    assert_eq!(units(&rung), ["cm", "cm²", "cm³"]);
    rung.prompt = "What is its area in cm²?".into();
    assert_eq!(units(&rung), ["cm²"]);
}

#[test]
fn a_claim_asks_for_a_reason_only_where_the_problem_does() {
    let because = |prompt: &str| match words(prompt, "true", &["true", "false"]).kind() {
        AnswerKind::Judgement { because, .. } => because,
        other => panic!("{other:?}"),
    };
    assert!(because("True or false? $1 + 1 = 2$ Say why."));
    assert!(!because("True or false? $1 + 1 = 2$"));
}

#[test]
fn choices_that_are_mathematics_are_shown_as_it() {
    let rung = words("Which equation fits?", "x = 134/2", &["x = 134/2", "x = 2 × 134"]);
    let shown: Vec<String> = rung.offered().into_iter().map(|one| one.shown).collect();
    assert_eq!(shown, ["$x = \\frac{134}{2}$", "$x = 2 \\times 134$"]);
    let rung = words("Odd or even?", "even", &["even", "odd"]);
    assert_eq!(rung.offered()[0].shown, "even");
}

#[test]
fn rungs_that_were_saved_before_have_a_kind_too() {
    let made = maths("189", "any", Some("cm²"));
    let mut old = serde_json::to_value(&made).expect("JSON");
    assert!(old.get("flawed").is_none(), "nothing new stands where nothing is to be said");
    old.as_object_mut().expect("a rung").remove("flawed");
    let read: Rung = serde_json::from_value(old).expect("an old rung");
    assert_eq!(read.kind(), made.kind());
}
