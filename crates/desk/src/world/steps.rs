//! Steps on the way to an answer: a calculation that ends in it, several in one line, a list of terms, a number that the
//! next one is made of, a rounded number for the value that it was rounded from.

use super::asked::{number_in, one_value, without_label};
use super::ways::is_calculation;
use super::{KEPT, LONGEST, World, quantity};
use crate::task::{Progress, Task};
use crate::{DeskLine, JudgedLine};
use algebra::step::exact_value;
use algebra::{Line, Rational, Role};
use teaching::answer::AnswerKind;
use teaching::verdict::{LineVerdict, VerdictWord};

/// Most calculations in one line that are looked at one by one.
const MOST_PARTS: usize = 6;

impl World<'_> {
    /// Whether a chain of numbers alone ends in the answer: `0.15 × 40 = 6 m`.
    pub(super) fn ends_in_answer(&self, task: &Task, text: &str) -> bool {
        let Some((_, end)) = text.rsplit_once(['=', '≈']) else { return false };
        // `√9 = 3` under an equation is a check of it.
        let has_equation = self.rung.prompt.split('$').skip(1).step_by(2).any(|m| m.contains('='));
        let checks = task.asks_letter && !self.rung.story && has_equation;
        // `2/5 = 0.4` where the largest of three is asked for says the same of it, and does not choose it.
        let checks = checks || matches!(self.rung.kind(), AnswerKind::Choice { .. });
        let is_chain = |text: &str| self.read(text, task).as_ref().is_some_and(is_calculation);
        !checks
            && (is_chain(text) || self.ways(task, text).iter().any(|way| is_chain(way)))
            && (self.is_answer(task, end)
                || self.is_key(end)
                || self.is_answer_alone(task, end)
                || self.ways(task, end).iter().any(|way| self.is_answer(task, way)))
    }

    /// Whether a line is the answer right below the problem.
    pub(super) fn is_answer_alone(&self, task: &Task, text: &str) -> bool {
        let above = (!task.story && !self.rung.answer.is_words()).then(|| task.problem.clone());
        let written = DeskLine { text: text.trim().to_owned(), latex: false };
        task.judge(&written, &mut Progress::from(above)).answers
    }

    /// Whether a line tells one value that neither is asked for nor belongs to the problem, or the one asked for with
    /// another unit: below the answer it takes it back.
    pub fn claims_other(&self, written: &DeskLine) -> bool {
        if self.asked.is_none() || written.text.len() > LONGEST {
            return false;
        }
        let text = self.as_typed(written);
        let Some((value, unit)) = one_value(&text) else { return false };
        let (Some(told), asked) = (exact_value(&value), self.asked.as_ref().and_then(exact_value))
        else {
            return false;
        };
        if Some(&told) == asked.as_ref() {
            return !self.fits(unit) && quantity::measured("1", unit).is_some();
        }
        // `12 g` where grams are asked for claims so many of them.
        if !unit.is_empty() && self.fits(unit) {
            return !self.rounds_to_asked(&value);
        }
        let is_zero = told == Rational::from_integer(0.into());
        (is_zero || !self.known.contains(&told)) && !self.rounds_to_asked(&value)
    }

    /// A way of writing the line in which it holds.
    pub(super) fn holds_as(
        &self,
        task: &Task,
        way: &str,
        text: &str,
        before: &Progress,
    ) -> Option<(JudgedLine, Progress)> {
        let mut progress = before.with_aside(false);
        let written = DeskLine { text: way.to_owned(), latex: false };
        let mut judged = if self.rung.answer.is_words() {
            task.judge_words(&written, &self.rung.answer.value, &mut progress)
        } else {
            task.judge(&written, &mut progress)
        };
        if judged.verdict.word != VerdictWord::Holds {
            let line = self.read(way, task)?;
            let said = judged;
            (judged, progress) = self.true_of_it(task, &line, &said, before)?;
        }
        (judged.verdict.word == VerdictWord::Holds).then(|| {
            judged.answers |= self.ends_in_answer(task, way) || self.ends_in_answer(task, text);
            progress.aside &= !judged.answers;
            text.clone_into(&mut judged.plain);
            (judged, progress)
        })
    }

    /// `Leo: 4 × 3 = 12, Rui: 7 × 3 = 21`: each part by itself, all of which must hold.
    pub(super) fn each_part(
        &self,
        task: &Task,
        text: &str,
        said: &JudgedLine,
        before: &Progress,
    ) -> Option<(JudgedLine, Progress)> {
        let parts: Vec<&str> = text.split([';', ',']).map(str::trim).collect();
        let is_list = parts.iter().any(|part| !part.contains('='));
        if is_list || !(2..=MOST_PARTS).contains(&parts.len()) {
            return None;
        }
        let mut progress = before.clone();
        let mut answers = false;
        for part in parts {
            let (bare, _) = without_label(part);
            let line = self.read(bare, task).filter(is_calculation)?;
            let (judged, after) = self.true_of_it(task, &line, said, &progress)?;
            if judged.verdict.word != VerdictWord::Holds {
                return None;
            }
            progress = after;
            // What belongs to somebody who is not asked about is no answer.
            let is_named = part != bare;
            let names_it = self.ways(task, part).iter().any(|way| way == bare);
            answers |= self.ends_in_answer(task, bare) && (names_it || !is_named);
        }
        let mut judged = self.judged(text, said);
        judged.holds(if answers { Role::Concludes } else { Role::Checks }, "");
        judged.answers = answers;
        progress.aside = !answers;
        Some((judged, progress))
    }

    /// `tan(A) = 11/17.8` below `√(14² + 11²) = 17.8`: a rounded number stands for the value that it was rounded from.
    pub(super) fn with_exact_values(
        &self,
        task: &Task,
        line: &Line,
        before: &Progress,
    ) -> Option<(JudgedLine, Progress)> {
        let exact = before.exact_values(line)?;
        let mut progress = before.with_aside(false);
        let judged = task.judge_line(&exact, &mut progress);
        (judged.verdict.word == VerdictWord::Holds).then(|| {
            let shown = JudgedLine::of(line);
            let kept = JudgedLine {
                reading: shown.reading,
                plain: shown.plain,
                speech: shown.speech,
                ..judged
            };
            (kept, progress)
        })
    }

    /// What has another name than what is asked for: `big: 50 cm²`; and values one after the other: `16, 8, 4`.
    pub(super) fn step_on_the_way(
        &self,
        task: &Task,
        text: &str,
        said: &JudgedLine,
        before: &Progress,
    ) -> Option<(JudgedLine, Progress)> {
        let (bare, is_named) = without_label(text);
        let is_named = is_named && self.ways(task, text).iter().all(|way| way != bare);
        let is_story = self.rung.story || self.asked.is_some() && !task.asks_letter;
        let list: Vec<&str> = text.split([',', '→']).collect();
        let is_list = list.len() > 2 && list.iter().all(|part| number_in(part.trim()).is_some());
        let number = number_in(quantity::told(bare).value)
            .filter(|value| is_named && value.as_plain_number().is_some())
            .and_then(|value| exact_value(&value));
        if !is_story || !(is_list || number.is_some()) {
            return None;
        }
        let mut judged = self.judged(text, said);
        judged.verdict = LineVerdict::saying(VerdictWord::CantTell, KEPT);
        let answers = is_list && self.is_list_to_answer(task, &list);
        let is_known = number.as_ref().is_some_and(|value| self.known.contains(value));
        if answers {
            judged.holds(Role::Concludes, "");
            judged.answers = true;
        } else if is_named && is_known && !is_list {
            judged.holds(Role::Defines, "");
        }
        let mut progress = before.with_aside(!answers);
        progress.reached.extend(number);
        Some((judged, progress))
    }

    /// Whether one operation leads to a number from one that was written on the way above, and another of those or of
    /// the problem's: the 8 of `16`, `8`, `4`.
    pub(super) fn is_reached(&self, number: &Rational, before: &Progress) -> bool {
        let zero = Rational::from_integer(0.into());
        let makes = |a: &Rational, b: &Rational| {
            a + b == *number
                || a - b == *number
                || a * b == *number
                || (*b != zero && a / b == *number)
        };
        let with = |a: &Rational| {
            let others = self.known.iter().chain(&before.reached).filter(|b| *b != a);
            others.into_iter().any(|b| makes(a, b) || makes(b, a))
        };
        before.reached.iter().any(with)
    }

    /// `2, 9, 30, 93, 282`: terms of the problem one after the other, the last of which is asked for.
    pub(super) fn is_list_to_answer(&self, task: &Task, list: &[&str]) -> bool {
        let values: Option<Vec<Rational>> =
            list.iter().map(|part| exact_value(&number_in(part.trim())?)).collect();
        let (Some(values), Some(last)) = (values, list.last()) else { return false };
        let zero = Rational::from_integer(0.into());
        let pairs = || values.windows(2);
        let grows_by = values.get(1).map(|second| second - &values[0]);
        let same_step = pairs().all(|pair| Some(&pair[1] - &pair[0]) == grows_by);
        let same_ratio = !values.contains(&zero)
            && pairs().all(|pair| &pair[1] / &pair[0] == &values[1] / &values[0]);
        let all_known = values.iter().all(|value| self.known.contains(value));
        (same_step || same_ratio || all_known) && self.is_answer(task, last.trim())
    }
}
