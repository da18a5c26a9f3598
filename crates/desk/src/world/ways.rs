//! Ways in which a class writes less than it means: `19 degrees`, `1111` for a binary numeral, `a2 = 9`, `16x + 30 m`,
//! `Leo = 12`, `P(clover) = 5/9`. Each gives the text as it would be written in full in the light of its problem.

use super::asked::{is_label_word, question};
use super::typed::plain;
use super::{World, quantity, sentence};
use crate::task::Task;
use algebra::{ExprKind, Line};

/// Another way to write a text, where there is one.
type Way<'a> = &'a dyn Fn(&str) -> Option<String>;

/// Most ways of one text that are tried.
const MOST_WAYS: usize = 8;

impl World<'_> {
    /// The text as it would be written in full, in every way that the problem allows; the text itself is not among
    /// them.
    pub(super) fn ways(&self, task: &Task, text: &str) -> Vec<String> {
        let mut found = vec![text.to_owned()];
        let steps: [Way<'_>; 10] = [
            &|text| self.without_name(task, text),
            &|text| self.in_degrees(text),
            &|text| self.without_degrees(text),
            &|text| self.with_degrees(text),
            &|text| self.in_percent(text),
            &|text| self.with_base(text),
            &|text| self.with_indices(text),
            &|text| self.without_units(text),
            &|text| with_whole_divisors(text),
            &|text| self.without_unit_of_sum(text),
        ];
        for step in steps {
            for at in 0..found.len() {
                if let Some(way) = step(&found[at])
                    && found.len() <= MOST_WAYS
                    && !found.contains(&way)
                {
                    found.push(way);
                }
            }
        }
        found.remove(0);
        found
    }

    /// `P = 16x + 30` where an expression is asked for, `Leo: 12` where Leo is asked about, `P(clover) = 5/9`,
    /// `hcf = 4`.
    fn without_name(&self, task: &Task, text: &str) -> Option<String> {
        let (name, rest) = text.split_once(['=', ':', '≈'])?;
        let name = name.trim();
        if rest.trim().is_empty() || name.is_empty() {
            return None;
        }
        let question = question(&self.rung.prompt);
        let asked: Vec<String> = sentence::words(&question).collect();
        let stands = |word: &str| asked.contains(&word.to_lowercase());
        let is_chance = name
            .strip_prefix("P(")
            .and_then(|inside| inside.strip_suffix(')'))
            .is_some_and(|inside| {
                !sentence::turns(inside) && sentence::words(inside).all(|word| stands(&word))
            });
        let is_word = name.chars().count() > 1 && name.chars().all(char::is_alphabetic);
        let is_asked =
            is_word && (stands(name) || is_label_word(name) || self.is_kind_of_number(name));
        let is_expression =
            matches!(&task.problem, Line::Expression(value) if !value.symbols().is_empty());
        let names_it = is_expression
            && name.chars().all(char::is_alphabetic)
            && !task.problem.symbols().contains(name)
            && (is_word || name.chars().all(char::is_uppercase));
        (is_chance || is_asked || names_it).then(|| rest.trim().to_owned())
    }

    /// `hcf = 4` where the greatest number that divides is asked for, `lcm = 12` where the least multiple is.
    fn is_kind_of_number(&self, name: &str) -> bool {
        let told: Vec<String> = sentence::words(&plain(&self.rung.prompt)).collect();
        let says = |words: &[&str]| words.iter().any(|word| told.iter().any(|found| found == word));
        match name.to_lowercase().as_str() {
            "hcf" | "gcf" | "gcd" => says(&[
                "most", "largest", "greatest", "longest", "biggest", "highest", "hcf", "gcd",
                "common",
            ]),
            "lcm" => {
                says(&["least", "smallest", "first", "again", "lowest", "next", "lcm", "together"])
            }
            _ => false,
        }
    }

    /// Whether the problem is about angles, so that degrees may be told in words or not at all.
    pub(super) fn is_about_angles(&self) -> bool {
        let prompt = plain(&self.rung.prompt).to_lowercase();
        !prompt.contains("°c")
            && ["degree", "°", "angle", "bearing"].iter().any(|word| prompt.contains(word))
    }

    /// `19 degrees` is 19°.
    fn in_degrees(&self, text: &str) -> Option<String> {
        if !self.is_about_angles() {
            return None;
        }
        let lower = text.to_lowercase();
        let word =
            ["degrees", "degree", "degs", "deg"].iter().find(|word| lower.contains(**word))?;
        let at = lower.find(word).filter(|_| lower.len() == text.len())?;
        let before = text.get(..at)?.trim_end();
        let after = text.get(at + word.len()..)?;
        before.ends_with(|c: char| c.is_ascii_digit()).then(|| format!("{before}°{after}"))
    }

    /// `26°` where so many degrees are asked for.
    fn without_degrees(&self, text: &str) -> Option<String> {
        let has_function = ["sin", "cos", "tan"].iter().any(|name| text.contains(name));
        let is_marked = self.rung.answer.value.contains('°');
        (self.is_about_angles() && text.contains('°') && !has_function && !is_marked)
            .then(|| text.replace('°', ""))
    }

    /// `158` where 158° is the answer.
    fn with_degrees(&self, text: &str) -> Option<String> {
        let is_number = text.trim().chars().all(|c| c.is_ascii_digit() || c == '.');
        (is_number && self.is_about_angles() && self.rung.answer.value.ends_with('°'))
            .then(|| format!("{}°", text.trim().trim_end_matches('.')))
    }

    /// `89` where it is asked what percent something is.
    fn in_percent(&self, text: &str) -> Option<String> {
        let asks = question(&self.rung.prompt).to_lowercase().contains("what percent");
        let text = text.trim().trim_end_matches('.');
        let is_number = !text.is_empty() && text.chars().all(|c| c.is_ascii_digit() || c == '.');
        (asks && is_number && self.rung.answer.value.ends_with('%')).then(|| format!("{text}%"))
    }

    /// `1111` for the binary numeral, `D8` for the hexadecimal one.
    fn with_base(&self, text: &str) -> Option<String> {
        let base = self.base()?;
        if text.contains('_') {
            return None;
        }
        let is_digit = |sign: char| sign.is_digit(base) && !sign.is_ascii_lowercase();
        let is_alone = text.trim().trim_end_matches('.').chars().all(is_digit);
        let mut out = String::new();
        let mut marked = false;
        for run in text.split_inclusive(|c: char| !c.is_ascii_alphanumeric()) {
            let end = run.trim_end_matches(|c: char| !c.is_ascii_alphanumeric()).len();
            let (run, behind) = run.split_at(end);
            out.push_str(run);
            // `124` is a number, `7C` and `1011` are numerals.
            let is_long = match base {
                2 => run.len() > 2,
                11.. => run.chars().any(|c| c.is_ascii_alphabetic()),
                _ => false,
            };
            if !run.is_empty() && run.chars().all(is_digit) && (is_alone || is_long) {
                out.push_str(&format!("_{base}"));
                marked = true;
            }
            out.push_str(behind);
        }
        marked.then_some(out)
    }

    /// The base whose numerals the problem is about.
    fn base(&self) -> Option<u32> {
        let told = |text: &str| {
            let mark = text.split_once('_')?.1.trim_start_matches('{');
            let digits: String = mark.chars().take_while(char::is_ascii_digit).collect();
            digits.parse().ok().filter(|base| (2..=16).contains(base))
        };
        let is_sequence = self.rung.prompt.contains("a_");
        told(&self.rung.answer.value)
            .or_else(|| (!is_sequence).then(|| told(&self.rung.prompt)).flatten())
    }

    /// `a2 = 9` where the terms are called `a_1`, `a_2`.
    fn with_indices(&self, text: &str) -> Option<String> {
        if !self.rung.prompt.contains("a_{") {
            return None;
        }
        let signs: Vec<char> = text.chars().collect();
        let mut out = String::new();
        for (at, sign) in signs.iter().enumerate() {
            out.push(*sign);
            let begins = at == 0 || !signs[at - 1].is_alphanumeric();
            if *sign == 'a' && begins && signs.get(at + 1).is_some_and(char::is_ascii_digit) {
                out.push('_');
            }
        }
        (out != text).then_some(out)
    }

    /// `621c - 465c = 156c`, `0.45 × 9 = 4.05 L`, `100 - 65 = 35%`: a calculation without its units.
    fn without_units(&self, text: &str) -> Option<String> {
        if !text.contains('=') {
            return None;
        }
        let mut out = String::new();
        let mut rest = text;
        while let Some(at) = rest.find(|c: char| c.is_ascii_digit()) {
            let digits = rest[at..].find(|c: char| !(c.is_ascii_digit() || c == '.' || c == ','));
            let (number, behind) = rest.split_at(digits.map_or(rest.len(), |length| at + length));
            out.push_str(number);
            let gap = behind.len() - behind.trim_start_matches(' ').len();
            let unit = behind[gap..]
                .find(|c: char| !(c.is_alphabetic() || "²³%$".contains(c)))
                .map_or(&behind[gap..], |length| &behind[gap..gap + length]);
            let is_unit =
                unit == "%" || (!unit.is_empty() && !unit.contains('π') && self.fits(unit));
            rest = if is_unit { &behind[gap + unit.len()..] } else { behind };
        }
        out.push_str(rest);
        let out = out.replace(['$', '£', '€'], "");
        (out != text).then_some(out)
    }

    /// `16x + 30 m` where metres are asked for.
    fn without_unit_of_sum(&self, text: &str) -> Option<String> {
        let told = quantity::told(text);
        let has_letter = told.value.chars().any(|c| c.is_ascii_alphabetic());
        (!told.unit.is_empty() && has_letter && self.fits(told.unit)).then(|| told.value.to_owned())
    }
}

/// `60π/2π` as most mean it: what stands close together behind the stroke is divided by as a whole.
fn with_whole_divisors(text: &str) -> Option<String> {
    let mut out = String::new();
    let mut rest = text;
    while let Some(at) = rest.find('/') {
        let (before, behind) = rest.split_at(at + 1);
        out.push_str(before);
        let digits = behind.chars().take_while(char::is_ascii_digit).count();
        let letter = behind[digits..].chars().next().filter(|c| c.is_alphabetic());
        match letter {
            Some(letter) if digits > 0 => {
                let length = digits + letter.len_utf8();
                out.push_str(&format!("({})", &behind[..length]));
                rest = &behind[length..];
            }
            _ => rest = behind,
        }
    }
    out.push_str(rest);
    (out != text).then_some(out)
}

/// Whether a chain of numbers alone ends a line.
pub(super) fn is_calculation(line: &Line) -> bool {
    matches!(line, Line::Relations { sides, .. }
    if sides.len() > 1 && sides.iter().all(|side| {
        side.symbols().is_empty() && !side.any(&mut |part| matches!(part.kind, ExprKind::Symbol(_)))
    }))
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn what_stands_close_behind_the_stroke_is_divided_by_as_a_whole() {
        for (text, expected) in [
            ("60π/2π", Some("60π/(2π)")),
            ("1/2x + 3/4y", Some("1/(2x) + 3/(4y)")),
            ("1/2 x", None),
            ("x/y", None),
            ("3/4", None),
        ] {
            assert_eq!(with_whole_divisors(text).as_deref(), expected, "{text}");
        }
    }

    #[test]
    fn a_calculation_has_sides_of_numbers() {
        let line = |text: &str| algebra::read_line(text).expect(text).line;
        for text in ["3 + 4 = 7", "12 ÷ 5 ≈ 2.4", "1 = 1 = 1"] {
            assert!(is_calculation(&line(text)), "{text}");
        }
        for text in ["x = 4", "3 + 4", "A = 3 × 4 = 12"] {
            assert!(!is_calculation(&line(text)), "{text}");
        }
    }
}
