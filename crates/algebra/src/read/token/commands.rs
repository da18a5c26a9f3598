//! Commands of LaTeX become the same tokens as the plain signs they stand for.

use super::super::error::{ReadError, ReadErrorKind};
use super::super::names;
use super::{BLANK, Cutter, TokenKind};
use crate::expr::Span;
use crate::line::Relation;
use crate::unit::Unit;

/// LaTeX commands that stand for one token.
fn plain_command(name: &str) -> Option<TokenKind> {
    use TokenKind as T;
    Some(match name {
        "times" | "cdot" | "ast" => T::Times,
        "div" => T::Over,
        "pm" => T::PlusMinus,
        "mp" => T::MinusPlus,
        "le" | "leq" | "leqslant" => T::Relation(Relation::LessOrEqual),
        "ge" | "geq" | "geqslant" => T::Relation(Relation::GreaterOrEqual),
        "lt" => T::Relation(Relation::Less),
        "gt" => T::Relation(Relation::Greater),
        "ne" | "neq" => T::Relation(Relation::NotEqual),
        "approx" => T::Relation(Relation::Approximate),
        "pi" => T::Pi,
        "degree" => T::Degree,
        "lor" | "vee" => T::Word("or".into()),
        "land" | "wedge" => T::Word("and".into()),
        "therefore" | "Rightarrow" | "implies" | "Leftrightarrow" | "iff" | "Longrightarrow" => {
            T::So
        }
        "to" | "rightarrow" => T::Arrow,
        "vert" | "lvert" | "rvert" | "mid" => T::Bar,
        "exponentialE" => T::Word("e".into()),
        "colon" => T::Colon,
        "in" => T::In,
        "infty" => T::Infinity,
        "sum" => T::Sum,
        "square" | "Box" => T::Letter(BLANK.to_owned()),
        "ldots" | "dots" | "cdots" => T::Dots,
        "cup" => T::Union,
        "emptyset" | "varnothing" => T::Word("none".into()),
        _ => return None,
    })
}

const GROUP_COMMANDS: &[&str] = &[
    "frac",
    "dfrac",
    "tfrac",
    "sqrt",
    "text",
    "mathrm",
    "operatorname",
    "binom",
    "dbinom",
    "tbinom",
    "placeholder",
    "overline",
    "vec",
    "mathbf",
    "underline",
    "textrm",
    "mathit",
];
const GREEK: &[(&str, &str)] = &[
    ("alpha", "α"),
    ("beta", "β"),
    ("gamma", "γ"),
    ("delta", "δ"),
    ("theta", "θ"),
    ("lambda", "λ"),
    ("mu", "μ"),
    ("phi", "φ"),
    ("varphi", "φ"),
    ("omega", "ω"),
    ("sigma", "σ"),
    ("rho", "ρ"),
    ("tau", "τ"),
    ("epsilon", "ε"),
    ("varepsilon", "ε"),
];

impl Cutter<'_> {
    /// A command, or a sign behind a backslash.
    pub(super) fn command(&mut self) -> Result<(), ReadError> {
        let rest = &self.rest()[1..];
        let length = rest.bytes().take_while(u8::is_ascii_alphabetic).count();
        let name = &rest[..length];
        if length == 0 {
            return self.escaped(rest);
        }
        match name {
            "left" | "right" | "displaystyle" | "textstyle" | "quad" | "qquad" | "limits"
            | "nolimits" | "bigl" | "bigr" | "Bigl" | "Bigr" | "big" | "Big" => {
                self.skip(length + 1);
                // `\left.` is an empty bracket.
                if (name == "left" || name == "right") && self.rest().starts_with('.') {
                    self.skip(1);
                }
            }
            "text" | "textrm" | "mathrm" | "mathit" | "operatorname"
                if self.enter_words(length + 1) => {}
            "boxed" if self.enter_words(length + 1) => {}
            "lfloor" | "lceil" => {
                let function = if name == "lfloor" { "floor" } else { "ceil" };
                self.push(TokenKind::Word(function.into()), 0);
                self.push(TokenKind::Open('('), length + 1);
            }
            "rfloor" | "rceil" => self.push(TokenKind::Close(')'), length + 1),
            // A column is a point below itself.
            "begin" | "end" if self.rest()[length + 1..].contains("matrix}") => {
                let column = ["{pmatrix}", "{bmatrix}"]
                    .into_iter()
                    .find(|kind| self.rest()[length + 1..].starts_with(kind));
                let Some(column) = column else {
                    let span = Span::new(self.at, self.at + length + 1);
                    return Err(ReadError::new(ReadErrorKind::UnknownWord(name.to_owned()), span));
                };
                self.columns = name == "begin";
                let bracket =
                    if self.columns { TokenKind::Open('(') } else { TokenKind::Close(')') };
                self.push(bracket, length + 1 + column.len());
            }
            "begin" | "end" => {
                let after = &self.rest()[length + 1..];
                let braces = after.strip_prefix('{').and_then(|inside| inside.find('}'));
                self.skip(length + 1 + braces.map_or(0, |end| end + 2));
            }
            "angle" | "triangle" => {
                let sign = if name == "angle" { '∠' } else { '△' };
                return self.points(sign, length + 1);
            }
            "lbrace" => self.push(TokenKind::Open('{'), length + 1),
            "rbrace" => self.push(TokenKind::Close('}'), length + 1),
            "circ" => self.push(TokenKind::Degree, length + 1),
            "checkmark" => self.skip(length + 1),
            "pounds" | "euro" => {
                let sign = if name == "pounds" { "£" } else { "€" };
                match Unit::named(sign) {
                    Some(unit) => self.push(TokenKind::Unit(unit), length + 1),
                    None => self.skip(length + 1),
                }
            }
            _ => {
                if let Some(kind) = plain_command(name) {
                    self.push(kind, length + 1);
                } else if let Some(known) = GROUP_COMMANDS.iter().find(|known| **known == name) {
                    self.push(TokenKind::Command(known), length + 1);
                } else if let Some((_, letter)) = GREEK.iter().find(|entry| entry.0 == name) {
                    self.push(TokenKind::Word((*letter).to_owned()), length + 1);
                } else if names::function_named(name).is_some() {
                    self.push(TokenKind::Word(name.to_owned()), length + 1);
                } else {
                    let span = Span::new(self.at, self.at + length + 1);
                    let kind = ReadErrorKind::UnknownWord(name.to_owned());
                    return Err(ReadError::new(kind, span));
                }
            }
        }
        Ok(())
    }

    /// Goes into the braces behind a command of `command` bytes, when they are there and close.
    fn enter_words(&mut self, command: usize) -> bool {
        let rest = &self.rest()[command..];
        let gap = rest.len() - rest.trim_start().len();
        let inside = &rest[gap..];
        if !inside.starts_with('{') {
            return false;
        }
        let mut depth = 0usize;
        let end = inside.bytes().position(|byte| {
            match byte {
                b'{' => depth += 1,
                b'}' => depth -= 1,
                _ => {}
            }
            depth == 0
        });
        let Some(end) = end else { return false };
        let open = command + gap;
        self.word_ends.push(self.at + open + end);
        self.skip(open + 1);
        true
    }

    /// `\,`, `\{`, `\%` and the like: one sign behind a backslash.
    fn escaped(&mut self, rest: &str) -> Result<(), ReadError> {
        match rest.chars().next() {
            Some(',' | ';' | ':' | '!' | ' ' | '>') => self.skip(2),
            Some('{') => self.push(TokenKind::Open('{'), 2),
            Some('}') => self.push(TokenKind::Close('}'), 2),
            Some('%') => self.push(TokenKind::Percent, 2),
            Some('|') => self.push(TokenKind::Bar, 2),
            Some('_') => {
                let lines = self.rest().len() - self.rest().trim_start_matches("\\_").len();
                self.push(TokenKind::Letter(BLANK.to_owned()), lines);
            }
            Some('\\') if self.columns => self.push(TokenKind::Comma, 2),
            Some('\\') => self.push(TokenKind::Semicolon, 2),
            // The marks around mathematics in running text.
            Some('[' | ']' | '(' | ')') => self.skip(2),
            // `\$` is money.
            Some('$') => match Unit::named("$") {
                Some(unit) => self.push(TokenKind::Unit(unit), 2),
                None => self.skip(2),
            },
            _ => {
                let span = Span::new(self.at, self.at + 1);
                let error = ReadError::new(ReadErrorKind::UnknownCharacter('\\'), span);
                return Err(error.with_mend(span, ""));
            }
        }
        Ok(())
    }
}

/// The length of a raised circle, as LaTeX writes degrees behind `^`: `\circ`, `{\circ}`.
pub(super) fn raised_circle(rest: &str) -> Option<usize> {
    let inside = rest.trim_start();
    let (inside, braced) = match inside.strip_prefix('{') {
        Some(inside) => (inside.trim_start(), true),
        None => (inside, false),
    };
    let signs = ["\\circ", "\\degree", "°"];
    let mut after = signs.iter().find_map(|sign| inside.strip_prefix(sign))?;
    if braced {
        after = after.trim_start().strip_prefix('}')?;
    } else if after.starts_with(|c: char| c.is_ascii_alphabetic()) {
        return None;
    }
    Some(rest.len() - after.len())
}

/// How many strokes stand high, as an equation editor writes them behind `^`, and in how many bytes: `{\prime}`,
/// `{\prime\prime}`, `{\doubleprime}`, `\prime`.
pub(super) fn raised_primes(rest: &str) -> Option<(usize, usize)> {
    let (mut inside, braced) = match rest.strip_prefix('{') {
        Some(inside) => (inside, true),
        None => (rest, false),
    };
    let mut strokes = 0;
    loop {
        if let Some(after) = inside.strip_prefix("\\prime") {
            (inside, strokes) = (after, strokes + 1);
        } else if let Some(after) = inside.strip_prefix("\\doubleprime") {
            (inside, strokes) = (after, strokes + 2);
        } else {
            break;
        }
    }
    if braced {
        inside = inside.strip_prefix('}')?;
    }
    (strokes > 0).then(|| (strokes, rest.len() - inside.len()))
}
