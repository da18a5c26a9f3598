//! A student's lines under a rung of a ladder, and what the Step Desk says of them.

use crate::check::request;
use algebra::Role;
use desk::{DeskLine, GivenAnswer, JudgedLine, Marks, judge_with, marks, marks_given};
use serde::{Deserialize, Serialize};
use skills::ladder::Rung;
use teaching::ids::SlipId;
use teaching::verdict::VerdictWord;

/// A rung with what was written below it.
#[derive(Debug, Deserialize)]
pub struct DeskRequest {
    /// Given back with the answer.
    #[serde(default)]
    pub id: serde_json::Value,
    /// The rung, as `ladder --format json` makes it.
    pub rung: Rung,
    /// The lines, from top to bottom, as they are typed.
    pub lines: Vec<String>,
    /// What stands in the place for the answer, where it was used.
    #[serde(default)]
    pub answer: Option<Told>,
}

/// An answer as a text, or as its place takes it.
#[derive(Debug, Deserialize)]
#[serde(untagged)]
pub enum Told {
    /// As it is typed.
    Text(String),
    /// As the Step Desk keeps it.
    Given(GivenAnswer),
}

/// The answer to a [`DeskRequest`].
#[derive(Debug, Default, Serialize)]
pub struct DeskAnswer {
    /// As it came in; null for a line that was no question.
    pub id: serde_json::Value,
    /// What is said of each line.
    pub lines: Vec<DeskVerdict>,
    /// What is said of an answer that was given as its place takes it.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub answer: Option<DeskVerdict>,
    /// Whether the answer stands there.
    pub answered: bool,
    /// Whether it stands there and no line breaks.
    pub finished: bool,
    /// The marks of the answer: that of its place, or the last line; absent where nothing is written.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub marks: Option<Marks>,
    /// Why nothing was judged.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub error: Option<String>,
}

/// What is said of one line.
#[derive(Debug, Serialize)]
pub struct DeskVerdict {
    /// The verdict's word.
    pub verdict: VerdictWord,
    /// The sentence to the student; empty where nothing is to be said.
    pub says: String,
    /// What the line is for, where that is known.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub role: Option<&'static str>,
    /// The slip that was recognised.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub slip: Option<SlipId>,
}

impl DeskAnswer {
    /// The answer to a line that is no question.
    #[must_use]
    pub fn unreadable(id: serde_json::Value, says: &str) -> Self {
        Self { id, error: Some(says.into()), ..Self::default() }
    }
}

/// Answers one line of the protocol, whatever it holds.
#[must_use]
pub fn answer_line(line: &str) -> DeskAnswer {
    match request(line) {
        Ok(request) => answer(&request),
        Err((id, error)) => {
            DeskAnswer::unreadable(id, &format!("This is no rung with its lines as JSON: {error}."))
        }
    }
}

/// Judges the lines of a question.
#[must_use]
pub fn answer(request: &DeskRequest) -> DeskAnswer {
    let typed = |text: &String| DeskLine { text: text.clone(), latex: false };
    let mut written: Vec<DeskLine> = request.lines.iter().map(typed).collect();
    let lines = written.len();
    let given = match &request.answer {
        // A text in the place for the answer is one line more.
        Some(Told::Text(text)) if !text.trim().is_empty() => {
            written.push(typed(text));
            None
        }
        Some(Told::Given(given)) => Some(given),
        _ => None,
    };
    let judged = judge_with(&request.rung, &written, given);
    let marked = match given {
        Some(given) => Some(marks_given(&request.rung, given, judged.answered)),
        None => written.last().map(|line| marks(&request.rung, line)),
    };
    DeskAnswer {
        id: request.id.clone(),
        answered: judged.answered,
        finished: judged.finished,
        lines: judged.lines.into_iter().take(lines).map(DeskVerdict::from).collect(),
        answer: judged.answer.map(DeskVerdict::from),
        marks: marked,
        error: None,
    }
}

impl From<JudgedLine> for DeskVerdict {
    fn from(line: JudgedLine) -> Self {
        Self {
            verdict: line.verdict.word,
            says: line.verdict.says,
            role: line.role.map(Role::name),
            slip: line.slip,
        }
    }
}

#[cfg(test)]
mod tests {
    use super::*;
    use serde_json::{Value, json};
    use skills::ladder::{Ladder, LadderOrder};

    fn rung(skill: &str) -> Value {
        let order =
            LadderOrder { skills: vec![skill.into()], climb: 1, seed: 3, ..LadderOrder::default() };
        let made = Ladder::make(&order).expect("made").rungs.remove(0);
        serde_json::to_value(made).expect("JSON")
    }

    fn ask(rung: &Value, lines: &[&str], answer: Option<&str>) -> Value {
        let question = json!({"id": 7, "rung": rung, "lines": lines, "answer": answer});
        serde_json::to_value(answer_line(&question.to_string())).expect("JSON")
    }

    #[test]
    fn a_whole_solution_is_judged_and_marked() {
        let mut rung = rung("area.triangle");
        rung["line"] = json!("1/2 × 27 × 14");
        rung["unknown"] = json!("");
        rung["prompt"] =
            json!("A triangle has a base of 27 cm and a height of 14 cm. What is its area?");
        rung["answer"] = json!({"text": "It is 189 cm².", "latex": "189", "value": "189", "form": "any", "unit": "cm²"});
        rung["working"] = json!([]);
        let found = ask(&rung, &["A = 1/2 × 27 × 14", "27 × 14 = 378", "A = 189 cm^2"], None);
        assert_eq!(
            (&found["id"], &found["answered"], &found["finished"]),
            (&json!(7), &json!(true), &json!(true))
        );
        let words: Vec<&Value> =
            found["lines"].as_array().expect("lines").iter().map(|l| &l["verdict"]).collect();
        assert_eq!(words, ["holds", "holds", "holds"]);
        assert_eq!(
            found["marks"],
            json!({"value": "right", "form": "right", "rounding": "open", "unit": "right"})
        );
        for (answer, value, unit) in [
            ("189", "right", "open"),
            ("189 m^2", "right", "wrong"),
            ("378 cm²", "wrong", "right"),
            ("It is 189 square cm", "right", "right"),
        ] {
            let found = ask(&rung, &[], Some(answer));
            assert_eq!(
                (&found["marks"]["value"], &found["marks"]["unit"]),
                (&json!(value), &json!(unit)),
                "{answer}"
            );
        }
    }

    #[test]
    fn what_is_no_question_is_told() {
        for line in ["", "{}", "not json", r#"{"id": 3, "rung": {}, "lines": []}"#] {
            let found = answer_line(line);
            assert!(found.error.is_some() && !found.answered, "{line}");
        }
        assert_eq!(answer_line(r#"{"id": 3, "rung": {}, "lines": []}"#).id, json!(3));
    }
}
