//! What lines tell about the names in each other: `PV` is a product where `P` stands alone in the next line, `g` no
//! gram where a line begins `g =`, `T10` the tenth of what `Tn = 4n - 1` defines.

use std::collections::BTreeSet;

use super::vocabulary;
use crate::unit::Unit;

/// What lines tell about the names in each other.
#[derive(Debug, Clone, Default, PartialEq, Eq)]
pub struct Light {
    /// Letters that stand alone as a factor or a value somewhere, not before a bracket.
    bare: BTreeSet<char>,
    /// Letters that stand beside other things in a product or a quotient.
    inside: BTreeSet<char>,
    /// Letters that a line is about: those it begins with before its relation, and the unknown.
    told: BTreeSet<char>,
    /// Letters defined as functions: the `k` of `k(x) = 2x`.
    functions: BTreeSet<char>,
    /// Letters whose values are counted: the `a` of `a_n = 3n + 2`, the `T` of `Tn = 4n - 1`.
    sequences: BTreeSet<char>,
    /// Whether units stand behind numbers for certain.
    units: bool,
    /// Whether a currency is written, with pence.
    pounds: bool,
    /// Whether the line that is looked at has no letter but e.
    only_e: bool,
    /// Whether times of the day are added, `2:30 + 1:45`.
    times: bool,
}

/// What stands in the brackets behind a letter.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub(super) enum Argument {
    /// A letter, a number, a product.
    Value,
    /// A quotient.
    Quotient,
    /// A sum that begins with a letter.
    Sum,
    /// A sum that begins with a number: `1 + r`.
    NumberAndMore,
}

/// Units that are hardly ever products of letters behind a number.
const UNITS: &[&str] = &[
    "cm", "mm", "km", "kg", "ml", "mL", "metre", "metres", "hour", "hours", "minute", "minutes",
    "cents", "pence", "seconds", "grams", "litres", "liters", "meters", "miles", "feet", "inches",
    "rad", "radians", "weeks", "days", "dollars", "euros", "cl", "hrs", "mins", "years", "months",
];

/// Whether letters behind a number are a unit for certain.
pub(super) fn is_unit(run: &str) -> bool {
    UNITS.contains(&run)
}

/// Letters that are functions before a bracket.
const FUNCTIONS: &str = "fghFGPT";

/// Whether a letter before a bracket may be read as a function of what is inside.
pub(crate) fn may_be_function(letter: char) -> bool {
    FUNCTIONS.contains(letter)
}

impl Light {
    /// What these lines tell, as they were typed.
    pub fn of<'a>(lines: impl IntoIterator<Item = &'a str>) -> Self {
        let mut light = Self::default();
        for line in lines {
            light.add(&super::spaced(line));
        }
        light
    }

    /// The same, with the letter that is asked for.
    #[must_use]
    pub fn about(mut self, unknown: Option<&str>) -> Self {
        if let Some(letter) = unknown.and_then(|name| name.chars().next()) {
            self.bare.insert(letter);
            self.told.insert(letter);
        }
        self
    }

    fn add(&mut self, line: &str) {
        self.times |= has_times(line);
        self.units |= self.times;
        self.only_e = line.chars().filter(char::is_ascii_alphabetic).all(|c| c == 'e');
        let mut at = 0;
        let mut before = None;
        let mut number_before = false;
        while let Some(first) = line[at..].chars().next() {
            if first == '\\' {
                // A command is no letter.
                let name = line[at + 1..].bytes().take_while(u8::is_ascii_alphabetic).count();
                // A unit that is a quotient stands behind its number: `90 \frac{km}{h}`.
                let quotient = line[at + 1..].starts_with("frac{");
                self.pounds |= line[at + 1..].starts_with("pounds");
                self.units |= ["pounds", "euro"].contains(&&line[at + 1..at + 1 + name]);
                at += 1 + name + usize::from(quotient);
                before = Some('\\');
                number_before &= quotient;
                continue;
            }
            // Feet and inches.
            self.units |= matches!(first, '\'' | '"' | '′' | '″') && number_before;
            if matches!(first, '£' | '€' | '$' | '¢') {
                self.units |= first != '$' || is_money(line);
                self.pounds |= first == '£';
            }
            if !first.is_ascii_alphabetic() {
                if !first.is_whitespace() {
                    before = Some(first);
                    number_before = first.is_ascii_digit()
                        || first == 'π'
                        // `\frac{\pi}{4} rad`
                        || (first == '}' && line[at + 1..].starts_with(char::is_whitespace));
                }
                at += first.len_utf8();
                continue;
            }
            let length = line[at..].bytes().take_while(u8::is_ascii_alphabetic).count();
            let run = &line[at..at + length];
            self.add_run(run, (before, number_before), &line[at + length..]);
            at += length;
            before = run.chars().last();
            number_before = false;
        }
    }

    /// Letters that stand together, with the sign before them and whether that is a digit, and what follows.
    fn add_run(&mut self, run: &str, (before, behind_number): (Option<char>, bool), after: &str) {
        let next = after.trim_start();
        // `3 sq m`, `5 cubic metres`
        let squares = matches!(run, "sq" | "square" | "cu" | "cubic") && {
            let unit: String = next.chars().take_while(char::is_ascii_alphabetic).collect();
            Unit::named(&unit).is_some()
        };
        if behind_number && (squares || UNITS.contains(&run)) {
            self.units = true;
        }
        let begins = before.is_none_or(|sign| "=<>≤≥≈,;".contains(sign));
        let related = next.starts_with(['=', '<', '>', '≤', '≥', '≈']);
        let mut letters = run.chars();
        match (letters.next(), letters.next(), letters.next()) {
            (Some(letter), None, _) => {
                if !after.starts_with('(') && !after.starts_with("\\left(") {
                    if after.starts_with('_') {
                        self.add_sequence(letter, after, before.is_none());
                    } else if before != Some('_') {
                        self.bare.insert(letter);
                        let joins = |sign: char| "*/×·(^√".contains(sign) || sign.is_alphanumeric();
                        if before.is_some_and(joins) || next.starts_with(['*', '/', '×', '·']) {
                            self.inside.insert(letter);
                        }
                    }
                    // `e = 50` tells of a letter, `e = x + 1` of Euler's number.
                    if begins && related && (letter != 'e' || self.only_e) {
                        self.told.insert(letter);
                    }
                } else if before.is_none() && is_definition(after) {
                    self.functions.insert(letter);
                }
            }
            // `Tn = 4n - 1`
            (Some(letter @ ('T' | 'U' | 'S' | 'A')), Some('n'), None)
                if before.is_none() && related =>
            {
                self.sequences.insert(letter);
            }
            (Some(_), Some(_), None) if run.bytes().all(|b| b.is_ascii_uppercase()) => {}
            (Some(_), Some(_), third) => {
                let capitals = run.bytes().all(|b| b.is_ascii_uppercase());
                let is_name = capitals && third.is_some() && run.len() <= 3;
                if run.len() <= 3 && !is_name && !vocabulary::is_word(run) {
                    self.bare.extend(run.chars());
                    self.inside.extend(run.chars());
                }
            }
            _ => {}
        }
    }

    /// `a_n = …`, `a_{n+1} = …`, `a_1 = …`
    fn add_sequence(&mut self, letter: char, after: &str, begins: bool) {
        let mark = after.trim_start_matches(['_', '{']);
        if begins && mark.starts_with(['n', 'k', 'm', 'r', 'i']) {
            self.sequences.insert(letter);
        }
    }

    /// Whether `2:30` is a time.
    pub(super) const fn has_times(&self) -> bool {
        self.times
    }

    /// Whether units stand behind numbers for certain.
    pub(super) const fn has_units(&self) -> bool {
        self.units
    }

    /// Whether a letter stands for itself where it could be a unit.
    pub(super) fn is_letter(&self, name: &str) -> bool {
        let mut letters = name.chars();
        let only = letters.next().filter(|_| letters.next().is_none());
        only.is_some_and(|letter| self.told.contains(&letter) && !(letter == 'p' && self.pounds))
    }

    /// Whether a line is about this letter: it begins `e = …`.
    pub(super) fn is_told(&self, letter: char) -> bool {
        self.told.contains(&letter)
    }

    /// Whether capitals side by side, or another run, are a product: one of them stands alone somewhere.
    pub(super) fn is_product(&self, run: &str) -> bool {
        run.chars().any(|letter| self.bare.contains(&letter))
    }

    /// Whether a letter before a bracket is a function there. `h(a + b)` is a product where `h` stands alone.
    pub(super) fn is_function(&self, name: &str, argument: Argument) -> bool {
        let mut letters = name.chars();
        let Some(letter) = letters.next().filter(|_| letters.next().is_none()) else {
            return false;
        };
        if self.functions.contains(&letter) {
            return true;
        }
        if !FUNCTIONS.contains(letter) {
            return false;
        }
        // f and g are functions wherever they can be: `g(T/(2π))²` beside `l/g` is the one product of theirs.
        let is_factor = match argument {
            Argument::Value => false,
            Argument::Quotient => self.inside.contains(&letter),
            Argument::Sum => !matches!(letter, 'f' | 'g') && self.bare.contains(&letter),
            Argument::NumberAndMore => !matches!(letter, 'f' | 'g'),
        };
        !is_factor
    }

    /// Whether a letter's values are counted, so that `T10` is the tenth.
    pub(super) fn is_sequence(&self, name: &str) -> bool {
        let mut letters = name.chars();
        let only = letters.next().filter(|_| letters.next().is_none());
        only.is_some_and(|letter| self.sequences.contains(&letter))
    }
}

/// Whether a line adds or names times of the day: `2:30 + 1:45`, `2:30 pm`, `14:20 + 35 min`.
fn has_times(line: &str) -> bool {
    let mut count = 0;
    let mut marked = false;
    for (at, _) in line.match_indices(':') {
        let before = line[..at].bytes().rev().take_while(u8::is_ascii_digit).count();
        let after = line[at + 1..].bytes().take_while(u8::is_ascii_digit).count();
        let minutes: Option<u32> = line[at + 1..at + 1 + after].parse().ok();
        if !(1..=2).contains(&before) || after != 2 || minutes.is_none_or(|m| m > 59) {
            return false;
        }
        count += 1;
        let rest = line[at + 3..].trim_start();
        marked |= ["am", "pm", "a.m", "p.m"].iter().any(|mark| rest.starts_with(mark));
    }
    let adds = line.contains(" + ") || line.contains(" - ") || line.contains(" − ");
    let spans = line.contains("min") || line.contains(" h");
    count > 0 && (marked || (adds && (count > 1 || spans)))
}

/// Whether every `$` of a line stands before a number: then none is a mark around mathematics.
fn is_money(line: &str) -> bool {
    line.split('$').skip(1).all(|after| after.starts_with(|c: char| c.is_ascii_digit() || c == '.'))
}

/// `(x) = …` behind a letter: one letter in brackets, and what it is.
fn is_definition(after: &str) -> bool {
    let inside = after.trim_start_matches("\\left").trim_start_matches('(').trim_start();
    let letters = inside.bytes().take_while(u8::is_ascii_alphabetic).count();
    let rest = inside[letters..].trim_start().trim_start_matches("\\right");
    letters == 1 && rest.strip_prefix(')').is_some_and(|rest| rest.trim_start().starts_with('='))
}
