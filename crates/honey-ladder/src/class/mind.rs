//! How a simulated student answers: as the problem is worked, or with one of its slips.

use lesson::{Block, PracticeOrder};
use serde_json::{Value, json};
use std::collections::BTreeMap;
use std::sync::{Arc, Mutex, PoisonError};

/// Draws without looking back: a small generator, so that every student has one of their own.
#[derive(Debug, Clone)]
pub(super) struct Luck(u64);

impl Luck {
    /// Luck of one's own.
    pub(super) const fn of(seed: u64) -> Self {
        Self(seed ^ 0x9e37_79b9_7f4a_7c15)
    }

    /// A number below `below`, which is not 0.
    pub(super) fn below(&mut self, below: u64) -> u64 {
        // xorshift*, of Marsaglia and Vigna.
        self.0 ^= self.0 >> 12;
        self.0 ^= self.0 << 25;
        self.0 ^= self.0 >> 27;
        (self.0.wrapping_mul(0x2545_f491_4f6c_dd1d) >> 33) % below.max(1)
    }
}

/// An answer to a question as students see it; `slips` of a hundred are wrong.
pub(super) fn answer(asked: &Value, luck: &mut Luck, slips: u8) -> Value {
    let slips = luck.below(100) < u64::from(slips);
    let prompt = asked["prompt"].as_str().unwrap_or_default();
    let strings = |of: &Value| -> Vec<String> {
        let all = of.as_array().map(Vec::as_slice).unwrap_or_default();
        all.iter().filter_map(|one| one.as_str().map(str::to_owned)).collect()
    };
    match asked["by"].as_str() {
        Some("choice") => {
            let count = strings(&asked["choices"]).len().max(1);
            // Nobody knows which is right: most take the same one.
            let most = if slips { luck.below(count as u64) } else { 0 };
            json!({"by": "choice", "choice": most})
        }
        Some("true_or_false") => {
            json!({"by": "judged", "is_true": !slips, "why": if slips { "" } else { "I tried it with numbers." }})
        }
        Some("drawing") => {
            let x = i16::try_from(200 + luck.below(500)).unwrap_or(300);
            json!({"by": "drawing", "strokes": [[100, 100, x, 400], [x, 400, 900, 120]]})
        }
        Some("rung") => {
            let lines = working(prompt, luck, slips);
            let lines: Vec<Value> = lines.iter().map(|text| json!({"text": text})).collect();
            json!({"by": "desk", "lines": lines})
        }
        _ => {
            const WORDS: &[&str] = &[
                "The brackets.",
                "I am sure now.",
                "Once more with minus, please.",
                "It was fine.",
            ];
            let at = usize::try_from(luck.below(WORDS.len() as u64)).unwrap_or(0);
            json!({"by": "text", "text": WORDS[at]})
        }
    }
}

/// The lines of a working, or where it goes wrong.
fn working(prompt: &str, luck: &mut Luck, slips: bool) -> Vec<String> {
    match &*known(prompt) {
        Some(worked) if slips => worked.slipped.clone(),
        Some(worked) => worked.right.clone(),
        None => vec![format!("{}", luck.below(20))],
    }
}

/// A problem as it was worked: rightly, and with a slip.
struct Worked {
    right: Vec<String>,
    slipped: Vec<String>,
}

/// A problem is worked once for the whole class.
fn known(prompt: &str) -> Arc<Option<Worked>> {
    static KNOWN: Mutex<BTreeMap<String, Arc<Option<Worked>>>> = Mutex::new(BTreeMap::new());
    let mut known = KNOWN.lock().unwrap_or_else(PoisonError::into_inner);
    Arc::clone(known.entry(prompt.to_owned()).or_insert_with(|| Arc::new(worked(prompt))))
}

fn worked(prompt: &str) -> Option<Worked> {
    let problem = prompt.replace('$', "");
    let Ok(Block::Practice(practice)) = (PracticeOrder::Typed { problem }).block() else {
        return None;
    };
    let rung = practice.rung;
    let maths = rung.working.iter().skip(1).filter(|line| line.latex.is_some());
    let right: Vec<String> = maths.map(|line| line.math.clone()).collect();
    let choice = rung.choices.iter().find(|one| one.text != rung.answer.text);
    let slipped = crate::demo::slip(&rung)
        .map(|lines| lines.into_iter().map(|line| line.text).collect())
        .or_else(|| choice.map(|one| vec![one.text.clone()]))
        .or_else(|| half_expanded(prompt).map(|half| vec![half]));
    let wrong = || right.iter().take(1).map(|line| format!("{line} + 1")).collect();
    Some(Worked { slipped: slipped.unwrap_or_else(wrong), right })
}

/// `3(x + 4)` with its first term alone multiplied.
fn half_expanded(prompt: &str) -> Option<String> {
    let prompt = prompt.replace("\\left", "").replace("\\right", "").replace('$', "");
    let (before, after) = prompt.split_once('(')?;
    let (inside, _) = after.split_once(')')?;
    let before = before.trim_end();
    let factor = before.trim_start_matches(|sign: char| !sign.is_ascii_digit());
    let is_sum = inside.contains(['+', '-']) && inside.starts_with(char::is_alphabetic);
    let is_number = !factor.is_empty() && factor.bytes().all(|sign| sign.is_ascii_digit());
    (is_number && is_sum).then(|| format!("{factor}{inside}"))
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn students_answer_every_kind_and_slip_as_often_as_they_are_told_to() {
        let mut luck = Luck::of(7);
        let asked = json!({"by": "rung", "prompt": "expand 3(x + 4)"});
        let right = answer(&asked, &mut luck, 0);
        assert!(right.to_string().contains("3x + 12"), "{right}");
        let wrong = answer(&asked, &mut luck, 100);
        assert!(wrong.to_string().contains("3x + 4"), "{wrong}");
        let typeset = json!({"by": "rung", "prompt": "Expand $3\\left(x+4\\right)$."});
        assert!(answer(&typeset, &mut luck, 100).to_string().contains("3x+4"));
        for by in ["open", "choice", "true_or_false", "drawing"] {
            let asked = json!({"by": by, "prompt": "?", "choices": ["A", "B"]});
            assert!(answer(&asked, &mut luck, 50)["by"].is_string());
        }
        let draws: Vec<u64> = (0..200).map(|_| luck.below(10)).collect();
        assert!((0..10).all(|n| draws.contains(&n)), "every number comes");
    }
}
