//! The kind of a rung's answer, read off the rung itself, so that rungs that were saved long ago have one too.

use super::{Choice, Rung};
use algebra::form::Form;
use algebra::number::{Notation, Rational};
use algebra::write::latex_line;
use algebra::{Expr, ExprKind, Line, Options, Relation, read_line_with};
use num_traits::ToPrimitive;
use teaching::answer::{AnswerKind, AnswerOption};
use teaching::figure::Figure;

impl Rung {
    /// The kind of its answer.
    #[must_use]
    pub fn kind(&self) -> AnswerKind {
        if let Some(flawed) = &self.flawed {
            return AnswerKind::BrokenLine { lines: flawed.lines.len() };
        }
        if let Some(table) = self.table() {
            return table;
        }
        if self.answer.is_words() { self.kind_of_words() } else { self.kind_of_mathematics() }
    }

    /// The cells of its figure that are to be filled.
    fn table(&self) -> Option<AnswerKind> {
        let Some(Figure::Table { heads, rows }) = &self.figure else { return None };
        let blanks = rows.iter().flatten().filter(|cell| cell.is_empty()).count();
        let parts = self.answer.value.split(" and ").count();
        (blanks > 0 && parts == blanks)
            .then(|| AnswerKind::Table { heads: heads.clone(), rows: rows.clone() })
    }

    fn kind_of_words(&self) -> AnswerKind {
        let value = self.answer.value.as_str();
        if let "true" | "false" = value {
            let because =
                ["Say why", "reason", "why"].iter().any(|asks| self.prompt.contains(asks));
            return AnswerKind::Judgement { options: ["true".into(), "false".into()], because };
        }
        for sign in ["<", ">"] {
            let items: Vec<&str> = value.split(sign).map(str::trim).collect();
            if items.len() > 2 {
                return AnswerKind::Order {
                    items: self.in_prompt_order(&items),
                    sign: sign.into(),
                };
            }
        }
        let has_letters = |text: &str| {
            text.split(|c: char| !c.is_alphabetic()).any(|word| word.chars().count() > 1)
        };
        let has_digits = |text: &str| text.chars().any(|c| c.is_ascii_digit());
        let stand_there = self.choices.iter().all(|choice| self.tells_choice(&choice.text));
        let in_words = self.choices.iter().all(|c| has_letters(&c.text) && !has_digits(&c.text));
        if stand_there || in_words || value.contains('=') || has_letters(value) && value.len() > 24
        {
            return AnswerKind::Choice { options: self.offered() };
        }
        let bearing = value.strip_suffix('°').filter(|figures| figures.len() == 3);
        if bearing.is_some_and(|figures| figures.chars().all(|c| c.is_ascii_digit())) {
            return AnswerKind::Bearing;
        }
        if is_ratio(value) {
            return AnswerKind::Ratio;
        }
        // "6 ways": a number and what it counts.
        match value.split_once(' ') {
            Some((number, noun)) if is_number(number) && noun.chars().all(char::is_alphabetic) => {
                AnswerKind::measured(Some(noun), &Form::Any)
            }
            _ if is_number(value) => AnswerKind::measured(None, &self.answer.form),
            _ => AnswerKind::Words,
        }
    }

    fn kind_of_mathematics(&self) -> AnswerKind {
        let Some(line) = self.answer.read() else { return AnswerKind::Expression };
        if self.story {
            // What a story asks for is told, not named.
            let is_one = match &line {
                Line::Expression(value) | Line::Rounded(value) => value.symbols().is_empty(),
                line => line.as_equation().is_some_and(|(_, value)| value.symbols().is_empty()),
            };
            if is_one {
                return self.measured();
            }
        }
        match &line {
            Line::Expression(value) | Line::Rounded(value) if value.symbols().is_empty() => {
                if let ExprKind::Number(written) = &value.kind
                    && let Notation::Based { base } = written.notation()
                {
                    return AnswerKind::Numeral { base: *base };
                }
                self.measured()
            }
            Line::Expression(_) | Line::Rounded(_) => AnswerKind::Expression,
            Line::Relations { relations, .. } => match relations[..] {
                [Relation::Equal | Relation::Approximate] if line.symbols().len() > 1 => {
                    AnswerKind::Equation
                }
                [Relation::Equal | Relation::Approximate] => AnswerKind::Solutions,
                _ => self.on_a_line(&line),
            },
            Line::AllOf(_) | Line::Point(_) if line.symbols().len() != 1 => AnswerKind::Pair,
            Line::AllOf(_) | Line::Set(_) => self.on_a_line(&line),
            Line::AnyOf(parts) if parts.iter().any(is_order) => self.on_a_line(&line),
            _ => AnswerKind::Solutions,
        }
    }

    /// Solutions that are stretches of a number line, where their ends are marks of one.
    fn on_a_line(&self, line: &Line) -> AnswerKind {
        // The line that is offered tells no more of the ends than how large they may be.
        const REACHES: [i32; 2] = [10, 20];
        let reach = ends(line).filter(|ends| matches!(ends.len(), 1 | 2)).and_then(|ends| {
            let most = ends.iter().map(|end| end.unsigned_abs()).max()?;
            REACHES.into_iter().find(|reach| most <= u64::from(reach.unsigned_abs()))
        });
        AnswerKind::Interval { letter: self.unknown.clone(), reach }
    }

    /// A number with the unit that it has, unless the question names it.
    fn measured(&self) -> AnswerKind {
        let unit = self.answer.unit.as_deref();
        match (AnswerKind::measured(unit, &self.answer.form), unit) {
            (AnswerKind::Quantity { rounded, .. }, Some(unit))
                if self.prompt.contains(&format!("in {unit}?")) =>
            {
                AnswerKind::Quantity { units: vec![unit.to_owned()], rounded }
            }
            (kind, _) => kind,
        }
    }

    /// The choices as they are shown: words as words, everything else as mathematics.
    #[must_use]
    pub fn offered(&self) -> Vec<AnswerOption> {
        self.choices.iter().map(|choice| self.shown(choice)).collect()
    }

    fn shown(&self, choice: &Choice) -> AnswerOption {
        let quantities = self.answer.unit.is_some() && !self.story;
        let options = Options { quantities, ..Options::default() };
        let is_mathematics = !self.answer.is_words() || choice.text.contains(['=', '/', '^', '√']);
        let shown = match read_line_with(&choice.text, options) {
            Ok(read) if is_mathematics && !matches!(read.line, Line::Sentence(_)) => {
                format!("${}$", latex_line(&read.line))
            }
            _ => choice.text.clone(),
        };
        AnswerOption { text: choice.text.clone(), shown }
    }

    /// Whether the prompt itself tells a choice, in words or as mathematics.
    fn tells_choice(&self, text: &str) -> bool {
        self.place_in_prompt(text).is_some()
    }

    /// Where the prompt tells a text, in bytes.
    fn place_in_prompt(&self, text: &str) -> Option<usize> {
        let latex = read_line_with(text, Options::default()).ok();
        let latex = latex.map(|read| format!("${}$", latex_line(&read.line)));
        let has_letters = text.chars().any(char::is_alphabetic);
        let words = has_letters.then(|| self.prompt.find(text)).flatten();
        words
            .or_else(|| self.prompt.find(&latex?))
            .or_else(|| self.prompt.find(&format!(" {text}")))
    }

    fn in_prompt_order(&self, items: &[&str]) -> Vec<String> {
        let mut found: Vec<String> = items.iter().map(|&item| item.to_owned()).collect();
        found.sort_by_key(|item| self.place_in_prompt(item));
        found
    }
}

fn is_number(text: &str) -> bool {
    read_line_with(text, Options::default()).is_ok_and(|read| {
        matches!(&read.line, Line::Expression(value)
            if value.as_plain_number().is_some() && text.ends_with(|c: char| c.is_ascii_digit()))
    })
}

fn is_ratio(text: &str) -> bool {
    let parts: Vec<&str> = text.split(':').map(str::trim).collect();
    parts.len() > 1 && parts.iter().all(|part| is_number(part))
}

/// Whether a line says more or less of something, and not what it is.
fn is_order(line: &Line) -> bool {
    matches!(line, Line::Relations { relations, .. }
        if !relations.iter().any(|one| matches!(one, Relation::Equal | Relation::Approximate)))
}

/// The whole numbers between which a letter stands, where a line says no more than that.
fn ends(line: &Line) -> Option<Vec<i64>> {
    match line {
        Line::Relations { sides, .. } if is_order(line) => {
            let (letters, numbers): (Vec<_>, Vec<_>) =
                sides.iter().partition(|side| matches!(side.kind, ExprKind::Symbol(_)));
            let whole = |side: &&Expr| {
                side.as_plain_number().filter(Rational::is_integer)?.to_integer().to_i64()
            };
            (letters.len() == 1).then(|| numbers.iter().map(whole).collect())?
        }
        Line::AllOf(parts) | Line::AnyOf(parts) => {
            let all: Option<Vec<_>> = parts.iter().map(ends).collect();
            all.map(|ends| ends.concat())
        }
        _ => None,
    }
}
