//! Slips: known mistakes between two lines. A slip turns a line into what a student making it would
//! write next; a student's line is matched by meaning, not by spelling.

mod added_instead_of_scaling;
mod divided_one_term;
mod divided_wrong_way;
mod kept_sign_when_moving;
mod multiplied_straight_across;
mod second_term_not_multiplied;
mod subtracted_instead_of_dividing;

use algebra::{Line, StepVerdict, compare};

/// A known mistake.
pub trait Slip: Sync {
    /// Stored with answers: never renamed.
    fn id(&self) -> &'static str;
    /// A sentence to the student that helps without telling the answer.
    fn to_student(&self) -> &'static str;
    /// A sentence to the teacher that names the mistake.
    fn to_teacher(&self) -> &'static str;
    /// What a student making this slip may write below `line`; empty where it cannot be made.
    fn wrong(&self, line: &Line) -> Vec<Line>;
}

/// Every slip. One line here for each file in `slips`.
pub static SLIPS: &[&dyn Slip] = &[
    &added_instead_of_scaling::AddedInsteadOfScaling,
    &divided_one_term::DividedOneTerm,
    &divided_wrong_way::DividedWrongWay,
    &kept_sign_when_moving::KeptSignWhenMoving,
    &multiplied_straight_across::MultipliedStraightAcross,
    &second_term_not_multiplied::SecondTermNotMultiplied,
    &subtracted_instead_of_dividing::SubtractedInsteadOfDividing,
];

/// The slips made with linear equations.
pub static LINEAR: &[&dyn Slip] = &[
    &second_term_not_multiplied::SecondTermNotMultiplied,
    &kept_sign_when_moving::KeptSignWhenMoving,
    &subtracted_instead_of_dividing::SubtractedInsteadOfDividing,
    &divided_one_term::DividedOneTerm,
    &divided_wrong_way::DividedWrongWay,
];

/// The slips made with proportions.
pub static PROPORTION: &[&dyn Slip] = &[
    &added_instead_of_scaling::AddedInsteadOfScaling,
    &multiplied_straight_across::MultipliedStraightAcross,
    &divided_wrong_way::DividedWrongWay,
];

/// The slip that leads from `from` to `to`, if it is a known one.
#[must_use]
pub fn recognise(from: &Line, to: &Line) -> Option<&'static dyn Slip> {
    let same = |wrong: &Line| matches!(compare(wrong, to, None), StepVerdict::Equivalent { .. });
    SLIPS.iter().copied().find(|slip| slip.wrong(from).iter().any(same))
}

/// The single letter of a line.
fn only_letter(line: &Line) -> Option<String> {
    let letters = line.symbols();
    let mut letters = letters.into_iter();
    letters.next().filter(|_| letters.next().is_none())
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    #[rustfmt::skip]
    fn a_slip_is_recognised_by_its_meaning() {
        for (from, to, slip) in [
            ("3(x+4)",        "3x+4",          Some("second-term-not-multiplied")),
            ("3(2x-5) = 27",  "6x - 5 = 27",   Some("second-term-not-multiplied")),
            ("-2(x-3) = 8",   "-2x - 3 = 8",   Some("second-term-not-multiplied")),
            ("x + 7 = 12",    "x = 19",        Some("kept-sign-when-moving")),
            ("3x - 4 = 11",   "3x = 7",        Some("kept-sign-when-moving")),
            ("5x = 2x + 9",   "7x = 9",        Some("kept-sign-when-moving")),
            ("4x = 20",       "x = 16",        Some("subtracted-instead-of-dividing")),
            ("4x = 20",       "x = 1/5",       Some("divided-wrong-way")),
            ("2x + 6 = 10",   "x + 6 = 5",     Some("divided-one-term")),
            ("n/6 = 10/15",   "10n = 90",      Some("multiplied-straight-across")),
            ("n/6 = 10/15",   "n = 1",         Some("added-instead-of-scaling")),
            ("3x = 12",       "x = 4",         None),
            ("3x = 12",       "x = 77",        None),
        ] {
            let read = |text: &str| algebra::read_line(text).expect(text).line;
            let found = recognise(&read(from), &read(to)).map(Slip::id);
            assert_eq!(found, slip, "{from} -> {to}");
        }
    }

    #[test]
    fn no_slip_ever_writes_a_right_line() {
        for problem in
            ["3(x+4) = 21", "2x+6 = 10", "n/6 = 10/15", "5x = 2x + 9", "4x = 20", "x = 0"]
        {
            let line = algebra::read_line(problem).expect(problem).line;
            for slip in SLIPS {
                for wrong in slip.wrong(&line) {
                    let verdict = compare(&line, &wrong, None);
                    let is_wrong = matches!(verdict, StepVerdict::NotEquivalent(_));
                    assert!(is_wrong, "{}: {problem} -> {wrong:?}", slip.id());
                }
            }
        }
    }

    #[test]
    fn ids_are_their_own_and_sentences_are_there() {
        let mut ids: Vec<_> = SLIPS.iter().map(|slip| slip.id()).collect();
        ids.sort_unstable();
        ids.dedup();
        assert_eq!(ids.len(), SLIPS.len());
        for slip in SLIPS {
            assert!(slip.to_student().ends_with(['.', '?']), "{}", slip.id());
            assert!(slip.to_teacher().ends_with('.'), "{}", slip.id());
        }
    }
}
