//! Percents: the part, the whole, the rate, and change by percents.

use super::{Answer, Found, Recognised, TaskKind, Told, quantity};
use crate::fractions_ratio::{percent_change, percent_part, percent_rate, percent_whole};
use crate::typed::text::{Amount, Loose, written};
use algebra::Rational;
use algebra::number::from_int;
use num_traits::{One, Signed, Zero};
use teaching::ids::MethodId;
use teaching::typeset::Lines;

const PART: (&str, MethodId) = ("percent.part", percent_part::method::DECIMAL);
const WHOLE: (&str, MethodId) = ("percent.whole", percent_whole::method::DECIMAL_AND_DIVIDE);
const RATE: (&str, MethodId) = ("percent.rate", percent_rate::method::QUOTIENT);
const CHANGE: (&str, MethodId) = ("percent.change", percent_change::method::MULTIPLIER);

#[rustfmt::skip]
pub(super) const KINDS: &[TaskKind] = &[
    TaskKind::of(PART, &[
        "#% of #", "#% tip on #", "#% tip on # bill|meal", "tip of #% on #", "#% commission on #", "#% tax on #", "#% vat on #",
        "vat|tax|tip|commission|deposit at|of? #% on|of # ", "#% vat|tax|tip|commission|deposit on|of #", "vat|tax on # at #%",
        "deposit on # at|of? #%", "#% deposit on #",
    ], part),
    TaskKind::of(WHOLE, &[
        "# is #% of what", "# is #% of what number|amount", "# is #% of which number", "#% of what is #", "#% of what number|amount is #",
        "#% of a|some number|amount is # find number|amount", "#% of number is # find number", "#% of number is # what is number",
        "if #% of number is # what is number", "if #% is # what is #%", "#% is # find whole",
    ], whole),
    TaskKind::of(RATE, &[
        "# is what percent|percentage|% of #", "# is what % of #", "what percent|percentage is # of #", "what % is # of #",
        "# as percent|percentage of #", "# as % of #", "# out of # as percent|percentage", "# out of # as %", "# out of # in percent",
        "express|write # as percent|percentage of #", "express|write # out of # as percent|percentage",
        "score of # out of # as percentage", "# of # as percent|percentage", "what percent|percentage is # out of #",
        "# marks? out of # as percent|percentage",
    ], rate),
    TaskKind::of(RATE, &[
        "what percent|percentage of # is #", "what % of # is #", "percent|percentage of # that is #",
    ], rate_of_whole),
    TaskKind::of(CHANGE, &[
        "increase # by #%", "# increased by #%", "price|cost|value|salary of # increased|raised by #%", "# is|was increased|raised by #%",
        "vat|tax|service|tip at|of #% is added to|on # find|what|how? is|much? total|price|bill|final? price|bill|is? it?",
        "#% vat|tax|service|tip is added to|on # find|what|how? is|much? total|price|bill|final? price|bill|is? it?", "raise # by #%", "# plus #%", "# plus #% vat|tax|tip",
        "# and #% vat|tax|tip", "# + #% vat|tax|tip|service",
        "_ costs|cost|is|was # it|and|is? is? increased|raised|goes|rises up? by #% .. price|cost|value|now|salary|pay ..",
        "_ costs|cost|is|was # it|and|is? is? increased|raised|goes|rises up? by #%",
        "# _? is|are increased|raised|marked by|up by? #% what|find|work out? is? new|final|total? price|cost|value|amount?",
        "price|cost|value|salary|rent of # is? increased|raised|goes|rises up? by #% what|find|work out? is? new|final? price|cost|value|amount|salary|rent?",
        "# with|plus vat|tax at|of #%", "total of|for # with|plus|and #% vat|tax|tip|service",
        "# salary|rent|price|bill is|gets|goes|rises|increases increased|up|raised? by? #% .. ",
        "bill of|is? # with|plus|and #% tip|service|vat|tax", "add #% vat|tax|tip to #", "# goes up by #%", "# rises by #%",
        "# grows by #%", "# with #% added", "#% increase on|of # ", "#% more than #", "# up #%", "# excluding vat at #%",
        "price with #% vat on #",
    ], increased),
    TaskKind::of(CHANGE, &[
        "decrease # by #%", "# decreased by #%", "price|cost|value of # decreased|reduced|cut by #%", "reduce # by #%", "# reduced by #%", "# is|was reduced|discounted|decreased by #%",
        "# in sale at|with? #% off?", "# minus #%", "# less #%", "lower # by #%", "# goes down by #%", "# falls by #%", "# drops by #%",
        "#% off #", "#% discount on #", "# with #% off", "# with #% discount", "# with discount of #%", "# at #% off", "#% less than #",
        "#% reduction on # ", "sale price of # with #% off", "discount of #% on #",
        "# _? is|are reduced|decreased|discounted by #% what|find|work out? is? new|final|sale? price|cost|value|amount?",
        "price|cost|value of # is? reduced|decreased|falls|drops by #% what|find|work out? is? new|final|sale? price|cost|value|amount?",
        "# _? has|in|with #% off what|find|work out? is? new|final|sale? price|cost?", "# _? in sale with #% off ..",
        "_ costs|cost|costing|is|was # it|and|is? is? reduced|discounted|decreased|cut by #% .. price|cost|value|now|pay ..",
        "_ costs|cost|costing|is|was # it|and|is? is? reduced|discounted|decreased|cut by #%",
        "# _? has|with|gets|at #% off|discount .. price|cost|pay|now ..",
        "_ costs|cost|is|was # and|it|with? has|is|there? #% off|discount .. price|cost|pay|now ..",
        "_ costs|cost|is|was # with|and? #% off|discount ..", "sale|new|final price of # _? with|after|less #% off|discount|reduction",
        "new|sale price if # is reduced by #%", "# _? #% off", "# _? #% discount .. price", "shop takes #% off # _? ..",
        "#% decrease on|of #", "# down #%", "take #% off #", "# after #% discount|reduction",
        "# coat|shirt|jacket|book|bag|game|phone|bike|dress with #% off",
    ], decreased),
    TaskKind::of(CHANGE, &[
        "percent|percentage change|increase|decrease|difference from # to #", "percent|percentage profit|loss from # to #",
        "from # to # as percent|percentage change|increase|decrease", "change from # to # as percent|percentage",
        "# to # percent|percentage change|increase|decrease", "what percent|percentage change|increase|decrease is # to #",
        "% change|increase|decrease from # to #", ".. from # to # .. percent|percentage reduction|increase|decrease|change|rise|fall|loss|profit|discount?", "percent|percentage profit|loss if bought for|at # and sold for|at #",
        "bought for|at # sold for|at # percent|percentage profit|loss", "bought for|at # and sold for|at # percent|percentage profit|loss",
        "cost # sold for # percent|percentage profit|loss", "by what percent|percentage does # increase|decrease to #",
        "price rises|goes|went|changes|falls|drops up|down? from # to # what is percent|percentage change|increase|decrease",
    ], change),
    TaskKind::of(CHANGE, &[
        "# after #% increase find original", "# after #% increase what was original price?",
        "original price|amount|value if # after #% increase|rise", "original price|amount|value before #% increase if # now",
        "price|amount before #% increase is # after", "# including #% vat|tax .. without|before|excluding vat|tax",
        "# _? including|includes #% vat|tax ..", "price|cost|bill including|with #% vat|tax is # .. without|before|excluding vat|tax",
        "# includes #% vat find price without vat", "# including #% vat what is price before|without vat",
        "# including #% vat price before vat", "price before #% vat if # including vat",
        "price before #% vat is added if it is # with vat", "after #% increase price is # find original price?",
        "after #% increase it is # what was it before",
    ], before_increase),
    TaskKind::of(CHANGE, &[
        "# after #% off|discount|reduction|decrease|reduction .. original ..",
        "_ costs|cost|is|was # after #% off|discount|reduction|decrease|sale .. original|before|old|normal|full ..",
        "after #% off|discount|reduction|decrease .. # .. original|before|normal|full ..",
        "# is? sale? price after #% off|discount|reduction .. original|before|normal|full ..",
        "after #% off|discount|reduction|decrease .. # .. before ..", "original .. # after|in|with .. #% ..",
        "sale price .. # .. #% .. original ..", "price .. reduced by #% .. now? # .. original ..",
        "_ costs|is # in sale with|after #% off .. original ..", "# after #% off|discount|reduction|decrease what was original price?",
        "original price|amount|value if # after #% off|discount|reduction|decrease",
        "original price if sale price is # after #% off|discount", "sale price # after #% off|discount find original price?",
        "after #% off|discount|reduction|decrease price is # find original price?",
        "after #% off|discount|reduction|decrease it costs # find original price?",
        "after #% off|discount|reduction|decrease it costs # what was original price", "price before #% off|discount is # after",
        "original price before #% discount if it costs # now", "item costs # after #% discount find original price",
    ], before_decrease),
];

fn hundred() -> Rational {
    from_int(100)
}

/// So much of what another amount is measured in.
fn like(of: &Amount, value: Rational) -> Amount {
    Amount { unit: of.unit.clone(), ..Amount::of(value) }
}

/// The percent and the amount of a wording, whichever is told first.
fn percent_and_amount(found: &Found) -> Option<(&Amount, &Amount)> {
    let [one, other] = found.amounts()?;
    let pair = if one.is_percent { (one, other) } else { (other, one) };
    (pair.0.is_percent && !pair.1.is_percent && !pair.1.is_of_pi).then_some(pair)
}

fn part(found: &Found) -> Option<Told> {
    let (percent, whole) = percent_and_amount(found)?;
    let factor = &percent.value / hundred();
    let (factor_text, part) = (written(&factor), like(whole, &factor * &whole.value));
    let lines = Lines::start_measured(&format!("{}% of {}", percent.text, whole.measured()))
        .then(
            &format!("({factor_text}) × {}", whole.measured()),
            format!("{}% is {factor_text}", percent.text),
        )
        .then(&part.measured(), "Multiply");
    let says = format!("{}% of {}", percent.text, whole.shown());
    Some(Told::lines(says, lines, quantity(&part)))
}

fn whole(found: &Found) -> Option<Told> {
    if found.numbers.len() != 2 {
        return scaled(found);
    }
    let (percent, part) = percent_and_amount(found)?;
    let says = format!("The whole of which {}% is {}", percent.text, part.shown());
    before(percent, part, &percent.value / hundred(), says, format!("{}%", percent.text))
}

/// "If 30% is 12, what is 50%?": by one percent.
fn scaled(found: &Found) -> Option<Told> {
    let [from, part, to] = found.amounts()?;
    if !from.is_percent || !to.is_percent || from.value.is_zero() {
        return None;
    }
    let one = like(part, &part.value / &from.value);
    let all = like(part, &one.value * &to.value);
    let lines = Lines::measured()
        .work(
            &format!("{} ÷ {} = {}", part.measured(), from.factor(), one.measured()),
            "One percent",
        )
        .begin(&format!("{} × {}", to.factor(), one.measured()), format!("{} of them", to.text))
        .then(&all.measured(), "Multiply");
    let says = format!("{} when {} is {}", to.shown(), from.shown(), part.shown());
    Some(Told::lines(says, lines, quantity(&all)))
}

/// What was there before it became so much, given the multiplier.
fn before(
    percent: &Amount,
    now: &Amount,
    factor: Rational,
    says: String,
    is: String,
) -> Option<Told> {
    if !factor.is_positive() || percent.value.is_zero() {
        return None;
    }
    let (factor_text, old) = (written(&factor), like(now, &now.value / &factor));
    let divided = format!("n = {} ÷ ({factor_text})", now.text);
    let lines = Lines::default()
        .begin(
            &format!("({factor_text}) × n = {}", now.text),
            "What is told, with n for what is asked",
        )
        .then(&divided, format!("Divide both sides by {factor_text}, which is {is}"))
        .then(&format!("n = {}", old.text), "Divide");
    let lines = match &old.unit {
        Some(_) => lines.end(format!("It was {}.", super::money_or(&old))),
        None => lines,
    };
    Some(Told::lines(says, lines, quantity(&old)))
}

fn rate(found: &Found) -> Option<Told> {
    let [part, whole] = found.amounts()?;
    rated(part, whole)
}

/// The same, told with the whole first: `what percent of 344 is 86`.
fn rate_of_whole(found: &Found) -> Option<Told> {
    let [whole, part] = found.amounts()?;
    rated(part, whole)
}

fn percent_text(value: &Rational) -> (String, String) {
    let text = written(value);
    if text.contains('/') {
        (format!("({text})%"), format!("{text}%"))
    } else {
        (format!("{text}%"), format!("{text}%"))
    }
}

fn rated(part: &Amount, whole: &Amount) -> Option<Told> {
    if whole.value.is_zero()
        || part.is_percent
        || whole.is_percent
        || part.is_of_pi
        || whole.is_of_pi
    {
        return None;
    }
    let says = format!("{} as a percent of {}", part.shown(), whole.shown());
    // Both in one unit.
    let (mut lines, part_in) = match (&part.unit, &whole.unit) {
        (Some(one), Some(other)) if one != other => {
            let same = like(whole, part.value_in(other)?);
            let told = format!("{} = {}", part.measured(), same.measured());
            (Lines::measured().work(&told, "Both in one unit"), same)
        }
        (Some(_), None) | (None, Some(_)) => return None,
        _ => (Lines::default(), Amount { unit: None, ..part.clone() }),
    };
    let (percent, shown) = percent_text(&(&part_in.value / &whole.value * hundred()));
    lines = lines
        .begin(&format!("({})/({})", part_in.text, whole.text), "The part over the whole")
        .then(
            &format!("(({}) × 100/({}))%", part_in.text, whole.text),
            "Percent means of a hundred",
        )
        .then(&percent, "Work it out");
    Some(Told::lines(says, lines, Answer::value(percent).written(shown)))
}

fn changed(found: &Found, up: bool) -> Option<Told> {
    let (percent, old) = percent_and_amount(found)?;
    let share = &percent.value / hundred();
    let factor = if up { Rational::one() + &share } else { Rational::one() - &share };
    let (sign, word) = if up { ('+', "increased") } else { ('-', "decreased") };
    let (factor_text, new) = (written(&factor), like(old, &factor * &old.value));
    let lines = Lines::start_measured(&format!(
        "{} {sign} {}% of {}",
        old.measured(),
        percent.text,
        old.measured()
    ))
    .then(
        &format!("({factor_text}) × {}", old.measured()),
        format!("The multiplier is {factor_text}"),
    )
    .then(&new.measured(), "Multiply");
    let says = format!("{} {word} by {}%", old.shown(), percent.text);
    Some(Told::lines(says, lines, quantity(&new)))
}

fn increased(found: &Found) -> Option<Told> {
    changed(found, true)
}

fn decreased(found: &Found) -> Option<Told> {
    changed(found, false)
}

/// The change as a percent of what was there before.
fn change(found: &Found) -> Option<Told> {
    let [old, new] = found.amounts()?;
    if !old.is_positive()
        || old.is_percent
        || new.is_percent
        || old.unit != new.unit
        || old.is_of_pi
        || new.is_of_pi
    {
        return None;
    }
    let by = &new.value - &old.value;
    let size = by.abs();
    let (percent, shown) = percent_text(&(&size / &old.value * hundred()));
    let (large, small) = if by.is_negative() { (old, new) } else { (new, old) };
    let word = if by.is_negative() { "decrease" } else { "increase" };
    let lines = Lines::default()
        .work(&format!("{} - {} = {}", large.text, small.text, written(&size)), "The change")
        .begin(
            &format!("({})/({})", written(&size), old.text),
            "The change over what was there before",
        )
        .then(
            &format!("(({}) × 100/({}))%", written(&size), old.text),
            "Percent means of a hundred",
        )
        .then(&percent, "Work it out")
        .end(format!(
            "It is {} of {shown}.",
            if by.is_negative() { "a decrease" } else { "an increase" }
        ));
    let says = format!("The percent {word} from {} to {}", old.shown(), new.shown());
    Some(Told::lines(says, lines, Answer::value(percent).written(shown)))
}

fn before_increase(found: &Found) -> Option<Told> {
    let (percent, now) = percent_and_amount(found)?;
    let says = format!("What became {} after {}% more", now.shown(), percent.text);
    let factor = Rational::one() + &percent.value / hundred();
    before(percent, now, factor, says, format!("100% and {}%", percent.text))
}

fn before_decrease(found: &Found) -> Option<Told> {
    let (percent, now) = percent_and_amount(found)?;
    let says = format!("What became {} after {}% less", now.shown(), percent.text);
    let factor = Rational::one() - &percent.value / hundred();
    before(percent, now, factor, says, format!("100% less {}%", percent.text))
}

/// Words with which a price changes.
const UP: &[&str] = &[
    "increase",
    "increased",
    "increases",
    "rise",
    "rises",
    "rose",
    "raised",
    "vat",
    "tax",
    "grew",
    "profit",
    "more",
];
/// Words with which it falls.
const DOWN: &[&str] = &[
    "decrease",
    "decreased",
    "decreases",
    "reduction",
    "reduced",
    "discount",
    "off",
    "fall",
    "falls",
    "fell",
    "sale",
    "loss",
    "less",
    "lost",
];

/// Whether what was before is asked for, where the amount stands at a place: "it was £50 before" tells it.
fn asks_before(told: &Loose, at: usize) -> bool {
    const ORIGINAL: &[&str] = &["original", "originally", "usual", "normal", "full", "old"];
    let asks = (0..told.told.len()).find(|at| {
        told.word(*at)
            .is_some_and(|word| matches!(word, "what" | "find" | "how" | "calculate" | "work"))
    });
    let behind = |from: usize, words: &[&str]| {
        (from..told.told.len()).rfind(|at| told.word(*at).is_some_and(|word| words.contains(&word)))
    };
    let Some(asks) = asks else { return false };
    // "How much was taken off the original price?" asks for the change.
    let is_change = |word: &str| {
        UP.contains(&word) || DOWN.contains(&word) || word.starts_with("save") || word == "taken"
    };
    let end = (asks..told.told.len())
        .find(|at| told.word(*at).is_some_and(|word| ORIGINAL.contains(&word) || word == "before"))
        .unwrap_or(told.told.len());
    if (asks..end).filter_map(|at| told.word(at)).any(is_change) {
        return false;
    }
    let is_told = told.is_behind(at, ORIGINAL)
        || (at + 1..at + 3)
            .any(|at| told.word(at).is_some_and(|word| word == "before" || word == "originally"));
    let ends_in_before = behind(asks, &["before"]).is_some_and(|at| {
        told.word(at + 1).is_none() || matches!(told.word(at + 1), Some("the" | "that" | "this"))
    });
    !is_told && (ends_in_before || behind(asks, ORIGINAL).is_some())
}

/// A change told by what was before and after it, or what was before one, in whatever words: "a house bought for £200,000
/// is sold for £230,000, what is the percentage profit?"
pub(super) fn recognise(told: &Loose) -> Option<Recognised> {
    let [(i, a), (j, b)] = told.numbers[..] else { return None };
    if told.says(&["then", "twice", "each", "every", "year", "years", "people", "per"]) {
        return None;
    }
    let kind = KINDS.iter().find(|kind| kind.skill == CHANGE.0)?;
    match (a.is_percent, b.is_percent) {
        (false, false) => {
            const OLD: &[&str] = &[
                "bought",
                "cost",
                "costs",
                "costing",
                "paid",
                "buys",
                "from",
                "was",
                "originally",
                "old",
            ];
            let asks = told.says(&["percentage", "percent"])
                && (told.says(UP) || told.says(DOWN) || told.says(&["change"])); // "A profit of £10" is the change itself.
            let is_change = |at| {
                told.is_behind(at, UP)
                    || told.is_behind(at, DOWN)
                    || told.is_behind(at, &["by", "extra"])
            };
            if !asks || is_change(i) || is_change(j) {
                return None;
            }
            // What was before is told first, or by its word.
            let turned = told.is_behind(j, OLD) && !told.is_behind(i, OLD);
            let found = Loose::of_numbers(&if turned { [b, a] } else { [a, b] });
            Some((kind, change(&found)?))
        }
        (true, false) | (false, true) => {
            let asks = asks_before(told, if a.is_percent { j } else { i });
            let found = told.found();
            match (told.says(UP), told.says(DOWN)) {
                (true, false) if asks => Some((kind, before_increase(&found)?)),
                (false, true) if asks => Some((kind, before_decrease(&found)?)),
                _ => None,
            }
        }
        (true, true) => None,
    }
}
