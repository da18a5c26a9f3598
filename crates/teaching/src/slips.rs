//! Slips: known mistakes between two lines. A slip turns a line into what a student making it would
//! write next; a student's line is matched by meaning, not by spelling.

mod added_denominators;
mod added_exponents_of_power;
mod added_for_a_leg;
mod added_instead_of_scaling;
mod added_radicands;
mod added_sizes;
mod bars_dropped;
mod bases_multiplied;
mod cancelled_a_term;
mod carry_forgotten;
mod case_sign_wrong;
mod coefficient_of_one_forgotten;
mod collected_unlike_terms;
mod cut_off;
mod diameter_for_radius;
mod difference_as_square;
mod digits_in_wrong_order;
mod divided_by_percent;
mod divided_by_unknown;
mod divided_exponents;
mod divided_first_term_only;
mod divided_one_term;
mod divided_wrong_way;
mod done_to_one_side;
mod eliminated_unevenly;
mod exponent_as_factor;
mod fact_off;
mod factor_signs_turned;
mod factor_taken_out;
mod first_and_last_only;
mod first_term_for_difference;
mod fraction_as_digits;
mod function_of_each_term;
mod half_forgotten;
mod halved_instead_of_rooted;
mod inverse_as_reciprocal;
mod inverted_wrong_fraction;
mod kept_sign_when_moving;
mod left_to_right;
mod letters_of_product_lost;
mod like_terms_multiplied;
mod logarithm_of_each_term;
mod logarithm_power_brought;
mod logarithms_merged_as_sum;
mod logarithms_multiplied;
mod middle_sign_turned;
mod minus_missed_the_fraction;
mod minus_times_minus;
mod mixed_number_muddled;
mod multiplied_by_coefficient;
mod multiplied_by_unknown_below;
mod multiplied_crosswise;
mod multiplied_exponents;
mod multiplied_instead_of_dividing;
mod multiplied_one_part;
mod multiplied_one_term;
mod multiplied_straight_across;
mod negative_exponent_as_sign;
mod one_angle_only;
mod one_end_of_square;
mod one_lost_in_factoring;
mod pair_brought_out;
mod parts_multiplied_apart;
mod percent_as_number;
mod percent_change_muddled;
mod place_lost;
mod point_misplaced;
mod power_missed_a_factor;
mod powers_added;
mod pythagorean_root_lost;
mod ratio_turned;
mod reduced_unevenly;
mod rewriting;
mod root_of_each_term;
mod root_of_one_sign;
mod root_only_above;
mod root_with_sign_of_bracket;
mod same_taken_from_both;
mod second_term_not_multiplied;
mod sign_lost_in_bracket;
mod sign_lost_in_formula;
mod sign_not_turned;
mod sign_squared_away;
mod sign_turned_for_nothing;
mod smaller_from_larger_digit;
mod split_without_zero;
mod squared_each_term;
mod squared_one_side;
mod subtracted_instead_of_dividing;
mod subtracted_other_way_round;
mod time_as_decimal;
mod took_away_a_negative;
mod top_not_scaled;
mod worked_from_right;
mod written_as_exact;
mod wrong_power_of_ten;
mod zero_exponent_as_zero;

pub use kept_sign_when_moving::KeptSignWhenMoving;
pub use multiplied_straight_across::MultipliedStraightAcross;
pub use second_term_not_multiplied::SecondTermNotMultiplied;
pub use wrong_power_of_ten::WrongPowerOfTen;

use crate::ids::SlipId;
use algebra::sketch::Sketch;
use algebra::work::{Limit, within};
use algebra::{Expr, ExprKind, Line, StepVerdict, compare};
use num_traits::ToPrimitive;

/// A known mistake.
pub trait Slip: Sync {
    /// Stored with answers: never renamed.
    fn id(&self) -> SlipId;
    /// A sentence to the student that helps without telling the answer.
    fn to_student(&self) -> &'static str;
    /// A sentence to the teacher that names the mistake.
    fn to_teacher(&self) -> &'static str;
    /// What a student making this slip may write below `line`; empty where it cannot be made. By chance such
    /// a line can still be right: see [`wrong_lines`].
    fn wrong(&self, line: &Line) -> Vec<Line>;
}

/// A slip that has a name and its sentences, but is not recognised in a line by itself: a skill says where it leads.
#[derive(Debug, Clone, Copy)]
pub struct Named {
    /// Stored with answers: never renamed.
    pub id: SlipId,
    /// Helps without telling the answer.
    pub to_student: &'static str,
    /// Names the mistake.
    pub to_teacher: &'static str,
}

impl Slip for Named {
    fn id(&self) -> SlipId {
        self.id
    }

    fn to_student(&self) -> &'static str {
        self.to_student
    }

    fn to_teacher(&self) -> &'static str {
        self.to_teacher
    }

    fn wrong(&self, _line: &Line) -> Vec<Line> {
        Vec::new()
    }
}

/// Every slip, those that say most first: where two lead to one line, the first is named. One line here for
/// each file in `slips`.
pub static SLIPS: &[&dyn Slip] = &[
    &left_to_right::LeftToRight,
    &added_for_a_leg::AddedForALeg,
    &root_with_sign_of_bracket::RootWithSignOfBracket,
    &case_sign_wrong::CaseSignWrong,
    &sign_lost_in_formula::SignLostInFormula,
    &one_end_of_square::OneEndOfSquare,
    &one_angle_only::OneAngleOnly,
    &sign_turned_for_nothing::SignTurnedForNothing,
    &minus_missed_the_fraction::MinusMissedTheFraction,
    &cut_off::CutOff,
    &mixed_number_muddled::MixedNumberMuddled,
    &parts_multiplied_apart::PartsMultipliedApart,
    &top_not_scaled::TopNotScaled,
    &divided_by_percent::DividedByPercent,
    &percent_change_muddled::PercentChangeMuddled,
    &half_forgotten::HalfForgotten,
    &diameter_for_radius::DiameterForRadius,
    &time_as_decimal::TimeAsDecimal,
    &bases_multiplied::BasesMultiplied,
    &powers_added::PowersAdded,
    &middle_sign_turned::MiddleSignTurned,
    &pair_brought_out::PairBroughtOut,
    &root_only_above::RootOnlyAbove,
    &pythagorean_root_lost::PythagoreanRootLost,
    &multiplied_by_unknown_below::MultipliedByUnknownBelow,
    &first_term_for_difference::FirstTermForDifference,
    &eliminated_unevenly::EliminatedUnevenly,
    &digits_in_wrong_order::DigitsInWrongOrder,
    &carry_forgotten::CarryForgotten,
    &smaller_from_larger_digit::SmallerFromLargerDigit,
    &logarithm_power_brought::LogarithmPowerBrought,
    &sign_not_turned::SignNotTurned,
    &divided_by_unknown::DividedByUnknown,
    &root_of_one_sign::RootOfOneSign,
    &halved_instead_of_rooted::HalvedInsteadOfRooted,
    &squared_one_side::SquaredOneSide,
    &split_without_zero::SplitWithoutZero,
    &multiplied_one_term::MultipliedOneTerm,
    &added_instead_of_scaling::AddedInsteadOfScaling,
    &divided_one_term::DividedOneTerm,
    &divided_wrong_way::DividedWrongWay,
    &KeptSignWhenMoving,
    &MultipliedStraightAcross,
    &ratio_turned::RatioTurned,
    &SecondTermNotMultiplied,
    &subtracted_instead_of_dividing::SubtractedInsteadOfDividing,
    &sign_lost_in_bracket::SignLostInBracket,
    &squared_each_term::SquaredEachTerm,
    &power_missed_a_factor::PowerMissedAFactor,
    &multiplied_exponents::MultipliedExponents,
    &added_exponents_of_power::AddedExponentsOfPower,
    &divided_exponents::DividedExponents,
    &negative_exponent_as_sign::NegativeExponentAsSign,
    &zero_exponent_as_zero::ZeroExponentAsZero,
    &root_of_each_term::RootOfEachTerm,
    &added_radicands::AddedRadicands,
    &added_denominators::AddedDenominators,
    &cancelled_a_term::CancelledATerm,
    &divided_first_term_only::DividedFirstTermOnly,
    &inverted_wrong_fraction::InvertedWrongFraction,
    &worked_from_right::WorkedFromRight,
    &coefficient_of_one_forgotten::CoefficientOfOneForgotten,
    &like_terms_multiplied::LikeTermsMultiplied,
    &letters_of_product_lost::LettersOfProductLost,
    &sign_squared_away::SignSquaredAway,
    &took_away_a_negative::TookAwayANegative,
    &first_and_last_only::FirstAndLastOnly,
    &difference_as_square::DifferenceAsSquare,
    &factor_signs_turned::FactorSignsTurned,
    &logarithm_of_each_term::LogarithmOfEachTerm,
    &logarithms_multiplied::LogarithmsMultiplied,
    &logarithms_merged_as_sum::LogarithmsOfSumMerged,
    &function_of_each_term::FunctionOfEachTerm,
    &factor_taken_out::FactorTakenOut,
    &inverse_as_reciprocal::InverseAsReciprocal,
    &percent_as_number::PercentAsNumber,
    &bars_dropped::BarsDropped,
    &WrongPowerOfTen,
    &exponent_as_factor::ExponentAsFactor,
    &collected_unlike_terms::CollectedUnlikeTerms,
    &minus_times_minus::MinusTimesMinus,
    &subtracted_other_way_round::SubtractedOtherWayRound,
    &multiplied_by_coefficient::MultipliedByCoefficient,
    &fraction_as_digits::FractionAsDigits,
    &added_sizes::AddedSizes,
    &point_misplaced::PointMisplaced,
    &multiplied_crosswise::MultipliedCrosswise,
    &multiplied_one_part::MultipliedOnePart,
    &same_taken_from_both::SameTakenFromBoth,
    &reduced_unevenly::ReducedUnevenly,
    &multiplied_instead_of_dividing::MultipliedInsteadOfDividing,
    &one_lost_in_factoring::OneLostInFactoring,
    &written_as_exact::WrittenAsExact,
    &fact_off::FactOff,
    &place_lost::PlaceLost,
    &done_to_one_side::DoneToOneSide,
];

/// The slips made with linear equations.
pub static LINEAR: &[&dyn Slip] = &[
    &SecondTermNotMultiplied,
    &KeptSignWhenMoving,
    &subtracted_instead_of_dividing::SubtractedInsteadOfDividing,
    &divided_one_term::DividedOneTerm,
    &divided_wrong_way::DividedWrongWay,
];

/// The slips made with proportions.
pub static PROPORTION: &[&dyn Slip] = &[
    &added_instead_of_scaling::AddedInsteadOfScaling,
    &MultipliedStraightAcross,
    &divided_wrong_way::DividedWrongWay,
];

/// What a student making a slip may write below `line` that is proved to be wrong.
#[must_use]
pub fn wrong_lines(slip: &dyn Slip, line: &Line) -> Vec<Line> {
    let mut found = slip.wrong(line);
    found.retain(|wrong| matches!(compare(line, wrong, None), StepVerdict::NotEquivalent(_)));
    found
}

/// Most first slips that a second one is looked for behind.
const FIRSTS: usize = 8;
/// Most lines that are compared with the student's before the search ends.
const COMPARED: usize = 60;
/// The same where a quick look at the student's line tells nothing.
const COMPARED_BLINDLY: usize = 16;

/// The same where every comparison is dear.
const COMPARED_HEAVY: usize = 3;

/// Whether a line holds a number or an exponent that nobody would work with on paper, or a root beside a polynomial
/// of a high degree, which squaring makes twice as high.
fn is_heavy(line: &Line) -> bool {
    const DIGITS: usize = 14;
    const EXPONENT: i64 = 12;
    const DEGREE: i64 = 3;
    let has_root = line.expressions().into_iter().any(|expr| {
        expr.any(&mut |part| {
            matches!(&part.kind, ExprKind::Root { radicand, .. } if !radicand.symbols().is_empty())
        })
    });
    if has_root && line.expressions().into_iter().any(|expr| degree(expr) > DEGREE) {
        return true;
    }
    line.expressions().into_iter().any(|expr| {
        expr.any(&mut |part| match &part.kind {
            ExprKind::Number(written) => written.text().len() > DIGITS,
            ExprKind::Power(_, exponent) => match exponent.as_plain_number() {
                Some(n) => n > algebra::number::from_int(EXPONENT),
                None => matches!(exponent.kind, ExprKind::Power(..)),
            },
            _ => false,
        })
    })
}

/// How often letters are multiplied with each other at most.
fn degree(expr: &Expr) -> i64 {
    match &expr.kind {
        ExprKind::Symbol(_) => 1,
        ExprKind::Negative(a) | ExprKind::Absolute(a) | ExprKind::Root { radicand: a, .. } => {
            degree(a)
        }
        ExprKind::Add(a, b) | ExprKind::Subtract(a, b) => degree(a).max(degree(b)),
        ExprKind::Multiply(a, b) | ExprKind::Divide(a, b) => degree(a) + degree(b),
        ExprKind::Power(base, exponent) => {
            let times = exponent.as_plain_number().and_then(|n| n.to_i64()).unwrap_or(1);
            degree(base).saturating_mul(times.abs())
        }
        _ => 0,
    }
}

/// The slip that leads from `from` to `to`, if it is a known one. One slip is looked for first, then two
/// in a row, of which the first is told.
#[must_use]
pub fn recognise(from: &Line, to: &Line) -> Option<&'static dyn Slip> {
    within(Limit::steps(NAMING), || searched(from, to)).unwrap_or_default()
}

/// Most steps of work that naming a slip takes: a verdict stands without a name as well.
const NAMING: u64 = 250_000;

/// Most numbers, letters and signs of a line in which slips are looked for: each may be made at each of them.
const PARTS: usize = 160;

fn searched(from: &Line, to: &Line) -> Option<&'static dyn Slip> {
    let parts = |line: &Line| line.expressions().into_iter().map(Expr::nodes).sum::<usize>();
    if parts(from) > PARTS || parts(to) > PARTS {
        return None;
    }
    // How a number is rounded is said by the verdict itself, but for one that was cut off.
    if to.is_rounded() {
        let cut: &'static dyn Slip = &cut_off::CutOff;
        return cut.wrong(from).contains(to).then_some(cut);
    }
    let sketch = Sketch::of(to);
    let mut left = match (sketch.tells(), is_heavy(from) || is_heavy(to)) {
        (_, true) => COMPARED_HEAVY,
        (true, _) => COMPARED,
        (false, _) => COMPARED_BLINDLY,
    };
    let mut same = |wrong: &Line| {
        if !sketch.may_be(wrong) {
            return false;
        }
        left = left.saturating_sub(1);
        left > 0 && matches!(compare(wrong, to, None), StepVerdict::Equivalent { .. })
    };
    // What a slip makes of a line may happen to be right.
    let named = |slip| {
        let is_wrong = matches!(compare(from, to, None), StepVerdict::NotEquivalent(_));
        is_wrong.then_some(slip)
    };
    let mut firsts: Vec<(&'static dyn Slip, Line)> = Vec::new();
    for slip in SLIPS.iter().copied() {
        // What is told rounded was looked at above.
        for wrong in slip.wrong(from).into_iter().filter(|wrong| !wrong.is_rounded()) {
            if same(&wrong) {
                return named(slip);
            }
            firsts.push((slip, wrong));
        }
    }
    let firsts = firsts.into_iter().take(if sketch.tells() { FIRSTS } else { 0 });
    for (slip, wrong) in firsts {
        for second in SLIPS {
            if second.wrong(&wrong).iter().filter(|line| !line.is_rounded()).take(4).any(&mut same)
            {
                return named(slip);
            }
        }
    }
    None
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
            assert_eq!(found.map(SlipId::as_str), slip, "{from} -> {to}");
        }
    }

    #[test]
    fn no_slip_ever_writes_a_right_line() {
        for problem in
            ["3(x+4) = 21", "2x+6 = 10", "n/6 = 10/15", "5x = 2x + 9", "4x = 20", "x = 0"]
        {
            let line = algebra::read_line(problem).expect(problem).line;
            for slip in SLIPS {
                for wrong in wrong_lines(*slip, &line) {
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
