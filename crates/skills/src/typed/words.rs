//! Reads a task that is typed in words, such as `15% of 60`, against a pattern such as `#% of #`.

use algebra::number::{decimal_places, show, to_decimal_text};
use algebra::{Rational, Unit};
use num_traits::{Signed, ToPrimitive};

/// The longest number that is read, in digits.
const LONGEST: usize = 12;
/// Words before a task that say nothing about it.
const LEADING: &[&str] =
    &["what", "is", "are", "find", "work", "out", "calculate", "the", "please", "a", "an"];

/// A number as it was typed.
#[derive(Debug, Clone, PartialEq)]
pub(super) struct Told {
    /// As it was typed, without separators of thousands.
    pub text: String,
    /// Its value.
    pub value: Rational,
}

impl Told {
    /// The whole number from 0 to `most` that it is.
    pub(super) fn whole(&self, most: i64) -> Option<i64> {
        let whole = self.value.is_integer().then(|| self.value.to_integer().to_i64())??;
        (0..=most).contains(&whole).then_some(whole)
    }
}

/// Whether every one of these numbers is above zero.
pub(super) fn are_positive(numbers: &[Told]) -> bool {
    numbers.iter().all(|told| told.value.is_positive())
}

#[derive(Debug, Clone, PartialEq)]
enum Token {
    Number(Told),
    Word(String),
    Sign(char),
    /// A place for a number in a pattern.
    Place,
}

fn tokens(text: &str) -> Option<Vec<Token>> {
    let signs: Vec<char> = text.to_lowercase().chars().collect();
    let mut found = Vec::new();
    let mut at = 0;
    while let Some(&sign) = signs.get(at) {
        let run = |of: &dyn Fn(char) -> bool| {
            signs[at..].iter().take_while(|c| of(**c)).collect::<String>()
        };
        if sign.is_ascii_digit() {
            let text = run(&|c| c.is_ascii_digit() || c == '.');
            let text = text.trim_end_matches('.').to_owned();
            at += text.len();
            found.push(Token::Number(number(&text)?));
        } else if sign.is_alphabetic() {
            let word = run(&|c| c.is_alphabetic() || matches!(c, '²' | '³' | '-'));
            at += word.chars().count();
            found.push(Token::Word(word));
        } else {
            at += 1;
            match sign {
                '#' => found.push(Token::Place),
                c if c.is_whitespace() || matches!(c, '?' | '.' | ',' | '!') => {}
                c => found.push(Token::Sign(c)),
            }
        }
    }
    Some(found)
}

fn number(text: &str) -> Option<Told> {
    let (whole, part) = text.split_once('.').unwrap_or((text, ""));
    if part.contains('.') || whole.len() + part.len() > LONGEST {
        return None;
    }
    let digits: i64 = format!("{whole}{part}").parse().ok()?;
    let below = 10_i64.pow(u32::try_from(part.len()).ok()?);
    let value = Rational::new(digits.into(), below.into());
    Some(Told { text: text.to_owned(), value })
}

/// The numbers of a task that is worded like one of the patterns; `#` is a number, and words may be led in by others.
pub(super) fn matched(text: &str, patterns: &[&str]) -> Option<Vec<Told>> {
    let mut told = tokens(text)?;
    let is_leading =
        |token: &Token| matches!(token, Token::Word(word) if LEADING.contains(&word.as_str()));
    patterns.iter().find_map(|pattern| {
        let wanted = tokens(pattern)?;
        let from =
            told.iter().position(|token| !is_leading(token) || wanted.first() == Some(token));
        let rest = told.split_off(from?);
        let found = fits(&rest, &wanted);
        told.extend(rest);
        found
    })
}

fn fits(told: &[Token], wanted: &[Token]) -> Option<Vec<Told>> {
    if told.len() != wanted.len() {
        return None;
    }
    let mut numbers = Vec::new();
    for pair in told.iter().zip(wanted) {
        match pair {
            (Token::Number(number), Token::Place) => numbers.push(number.clone()),
            (one, other) if one == other => {}
            _ => return None,
        }
    }
    Some(numbers)
}

/// A unit, or its square or cube.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub(super) struct Measure {
    unit: Unit,
    power: u32,
}

impl Measure {
    fn named(name: &str) -> Option<Self> {
        let power = match name.chars().last()? {
            '²' => 2,
            '³' => 3,
            _ => 1,
        };
        Unit::named(name.trim_end_matches(['²', '³'])).map(|unit| Self { unit, power })
    }

    /// How much of the basic unit it is.
    pub(super) fn factor(self) -> Rational {
        (0..self.power)
            .fold(Rational::from_integer(1.into()), |product, _| product * self.unit.factor())
    }
}

impl std::fmt::Display for Measure {
    fn fmt(&self, f: &mut std::fmt::Formatter<'_>) -> std::fmt::Result {
        let power = ["", "^2", "^3"][(self.power as usize - 1).min(2)];
        write!(f, "{}{power}", self.unit.symbol())
    }
}

/// A number with its unit and the unit that is asked for: `5 km in m`.
pub(super) fn conversion(text: &str) -> Option<(Told, Measure, Measure)> {
    let mut told = tokens(&text.replace("convert", " ").replace("write", " "))?;
    told.retain(|token| !matches!(token, Token::Word(word) if LEADING.contains(&word.as_str())));
    match &told[..] {
        [Token::Number(number), Token::Word(from), Token::Word(link), Token::Word(to)]
            if matches!(link.as_str(), "in" | "to" | "into") =>
        {
            let (from, to) = (Measure::named(from)?, Measure::named(to)?);
            let fit = from.unit.parts() == to.unit.parts() && from.power == to.power;
            fit.then(|| (number.clone(), from, to))
        }
        _ => None,
    }
}

/// A value as it is written in a working: a decimal where it ends soon, else a fraction.
pub(super) fn written(value: &Rational) -> String {
    match decimal_places(value) {
        Some(places) if places <= 6 => to_decimal_text(value, places),
        _ => show(value),
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn a_task_is_matched_whatever_leads_into_it() {
        let patterns = &["#% of #", "# percent of #"];
        for text in ["15% of 60", "What is 15 % of 60?", "  find 15 percent of 60. "] {
            let found = matched(text, patterns).unwrap_or_else(|| panic!("{text}"));
            let texts: Vec<&str> = found.iter().map(|told| told.text.as_str()).collect();
            assert_eq!(texts, ["15", "60"], "{text}");
        }
        for text in ["15% off 60", "15 of 60", "", "15% of 60 jars", "1.2.3% of 5"] {
            assert!(matched(text, patterns).is_none(), "{text}");
        }
    }

    #[test]
    fn values_are_written_as_decimals_where_they_end() {
        let value = |a: i64, b: i64| Rational::new(a.into(), b.into());
        assert_eq!(written(&value(9, 4)), "2.25");
        assert_eq!(written(&value(1, 3)), "1/3");
        assert_eq!(written(&value(60, 5)), "12");
    }
}
