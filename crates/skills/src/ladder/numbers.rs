//! What the numbers of a ladder may be: a problem whose numbers do not fit is drawn again.

use super::{NoLadder, Rung};
use algebra::Role;
use serde::{Deserialize, Serialize};
use teaching::numerals::numbers_of;
use teaching::working::WorkingLine;
use utoipa::ToSchema;

/// What numbers may stand in the problems and their answers.
#[derive(Debug, Clone, Copy, Default, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct Numbers {
    /// The largest; any size where it is absent.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub largest: Option<u32>,
    /// Whether all are whole.
    #[serde(default)]
    pub whole: bool,
    /// Whether none is negative.
    #[serde(default)]
    pub positive: bool,
    /// Whether everything can be worked without a calculator: nothing is rounded, and no number of the working is long.
    #[serde(default)]
    pub by_hand: bool,
}

/// Most digits of a number that is worked with by hand, those of zeros at its ends aside.
const DIGITS_BY_HAND: usize = 4;

impl Numbers {
    /// Whether anything is asked of them.
    #[must_use]
    pub fn are_free(&self) -> bool {
        *self == Self::default()
    }

    /// How often a problem is drawn until its numbers fit.
    pub(crate) fn attempts(&self) -> u32 {
        if self.are_free() { 60 } else { 150 }
    }

    /// How far from its own place a rung may be drawn: the kind of a problem goes by its place, and some kinds have no
    /// problems with such numbers.
    pub(crate) fn kinds(&self) -> std::ops::Range<usize> {
        if self.are_free() { 0..1 } else { 0..3 }
    }

    pub(crate) fn ran_out(&self, skill: &str) -> NoLadder {
        if self.are_free() {
            NoLadder::RanOut(skill.into())
        } else {
            NoLadder::NoSuchNumbers(skill.into())
        }
    }

    /// Whether the numbers that a student reads and writes fit.
    #[must_use]
    pub fn fit(&self, rung: &Rung) -> bool {
        let answer = rung.answer.value.as_str();
        let told = |text: &str| numbers_of(text).into_iter().all(|number| self.fits(&number));
        let is_whole = !self.whole || !(rung.prompt.contains("\\frac") || answer.contains('/'));
        let is_positive = !self.positive || !(has_negative(&rung.prompt) || has_negative(answer));
        let is_by_hand = !self.by_hand || is_by_hand(rung);
        told(&rung.prompt) && told(answer) && is_whole && is_positive && is_by_hand
    }

    fn fits(&self, number: &str) -> bool {
        let value: f64 = number.parse().unwrap_or(f64::INFINITY);
        self.largest.is_none_or(|largest| value <= f64::from(largest))
            && !(self.whole && number.contains('.'))
    }
}

/// Whether a rung is worked without a calculator.
fn is_by_hand(rung: &Rung) -> bool {
    let is_short = |number: &String| {
        let digits = number.replace('.', "");
        digits.trim_start_matches('0').trim_end_matches('0').len() <= DIGITS_BY_HAND
    };
    let is_exact = |line: &WorkingLine| !line.math.contains('≈') && line.role != Role::Rounds;
    !rung.answer.text.contains('≈')
        && rung.working.iter().all(is_exact)
        && rung.working.iter().all(|line| numbers_of(&line.math).iter().all(is_short))
}

/// Whether a number with a minus of its own stands in a text: at its beginning, or behind a sign or a bracket.
fn has_negative(text: &str) -> bool {
    let mut before = None;
    let mut signs = text.chars().filter(|c| !c.is_whitespace()).peekable();
    while let Some(sign) = signs.next() {
        let follows = matches!(sign, '-' | '−') && signs.peek().is_some_and(char::is_ascii_digit);
        if follows && matches!(before, None | Some('(' | '=' | '$' | ',' | '+' | '{' | ':')) {
            return true;
        }
        before = Some(sign);
    }
    false
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::ladder::{Ladder, LadderOrder};

    fn ladder(skill: &str, numbers: Numbers) -> Result<Ladder, NoLadder> {
        let skills = vec![skill.to_owned()];
        Ladder::make(&LadderOrder {
            skills,
            grip: 5,
            tilt: 3,
            climb: 3,
            seed: 2,
            numbers,
            ..LadderOrder::default()
        })
    }

    #[test]
    fn a_minus_of_its_own_is_told_from_one_that_takes_away() {
        for text in ["-3", "$x = -3$", "2 + (-3)", "a:-4"] {
            assert!(has_negative(text), "{text}");
        }
        for text in ["x - 3", "5 - 3 = 2", "well-known", ""] {
            assert!(!has_negative(text), "{text}");
        }
    }

    #[test]
    fn the_numbers_of_every_rung_fit() {
        let small = Numbers { largest: Some(60), positive: true, whole: true, by_hand: false };
        for skill in ["equations.linear", "area.triangle", "integers.add-subtract", "percent.part"]
        {
            let Ok(made) = ladder(skill, small) else { continue };
            for rung in &made.rungs {
                assert!(small.fit(rung), "{}: {}", rung.prompt, rung.answer.value);
            }
        }
        let free = ladder("integers.add-subtract", Numbers::default()).expect("made");
        assert!(free.rungs.iter().any(|rung| has_negative(&rung.prompt)));
        let positive = Numbers { positive: true, ..Numbers::default() };
        let made = ladder("equations.linear", positive).expect("there are enough");
        assert!(made.rungs.iter().all(|rung| !has_negative(&rung.answer.value)));
    }

    #[test]
    fn without_a_calculator_nothing_is_rounded_and_no_number_is_long() {
        let numbers = Numbers { by_hand: true, ..Numbers::default() };
        for skill in ["circle.area", "pythagoras", "standard-form", "percent.change", "trig.ratios"]
        {
            let Ok(made) = ladder(skill, numbers) else { continue };
            for rung in &made.rungs {
                for line in &rung.working {
                    assert!(!line.math.contains('≈'), "{skill}: {}", line.math);
                    assert!(!line.math.contains("12345"), "{skill}: {}", line.math);
                }
            }
        }
        assert!(ladder("pythagoras", numbers).is_ok());
        let told = ladder("trig.side", numbers).expect_err("angles of a calculator").says();
        assert!(told.contains("Allow more numbers"), "{told}");
    }

    #[test]
    fn numbers_that_are_not_to_be_had_are_told() {
        let tiny = Numbers { largest: Some(1), ..Numbers::default() };
        let refused = ladder("pythagoras", tiny).expect_err("no such triangle");
        assert!(refused.says().contains("Allow more numbers"), "{}", refused.says());
    }
}
