//! Cuts a line into tokens. LaTeX commands become the same tokens as the plain signs they stand for.

mod numbers;

use super::error::{ReadError, ReadErrorKind};
use crate::expr::Span;
use crate::line::Relation;
use crate::unit::Unit;
use numbers::{lowered, raised, raised_in_words, raised_letter};

/// A piece of a line.
#[derive(Debug, Clone, PartialEq, Eq)]
pub(super) struct Token {
    pub kind: TokenKind,
    pub span: Span,
    /// Whether white space stands right before it: `3 1/2` is a mixed number, `31/2` is not.
    pub spaced: bool,
    /// Whether it stands upright, as words do in LaTeX: in the braces of `\\text` and its like.
    pub upright: bool,
}

#[derive(Debug, Clone, PartialEq, Eq)]
pub(super) enum TokenKind {
    /// Digits, perhaps with a point: `12`, `2.50`, `.5`.
    Number(String),
    /// A fraction sign of Unicode: `½` is (1, 2).
    VulgarFraction(u32, u32),
    /// A numeral in a base: `1011_2`.
    Based(String, u32),
    /// A unit of a quantity.
    Unit(Unit),
    /// `∞`
    Infinity,
    /// `∪`
    Union,
    /// Letters that stand together; the parser splits them into names.
    Word(String),
    /// `0.1̇8̇`, `0.333...`: what stands before the period, and the period.
    Recurring(String, String),
    /// `r`, `rem`, `remainder` between a quotient and a remainder; made out of words.
    Remainder,
    /// `mod` between two numbers; made out of words.
    Modulo,
    /// `Σ`
    Sum,
    /// An expression that was made out of tokens: a sum with dots.
    Made(Box<crate::expr::Expr>),
    /// `∘` between two functions.
    After,
    /// Words, capitals or a sign with its points that name a quantity; made out of words.
    Name(String),
    /// A LaTeX command that takes groups: `frac`, `sqrt`, `text`, `operatorname`, `placeholder`.
    Command(&'static str),
    /// Digits raised: `x²`.
    Superscript(i64),
    Plus,
    Minus,
    PlusMinus,
    MinusPlus,
    Times,
    Over,
    Power,
    Underscore,
    Percent,
    Bang,
    Bar,
    Comma,
    Semicolon,
    Colon,
    Degree,
    /// `√`, `∛`, `∜`, with its index.
    Root(u32),
    Open(char),
    Close(char),
    Relation(Relation),
    Pi,
    /// `∴`, `→`, `⇒`: marks that say "so".
    So,
    /// `∈`
    In,
    /// A full stop that ends the line.
    Stop,
    /// `…`, `...`: it goes on.
    Dots,
    /// A letter that stands for a number; made by the parser out of words.
    Letter(String),
    /// A function's name; made by the parser out of words.
    Function(crate::expr::Function),
    /// `sqrt`, `cbrt`, `root`, `abs`: made by the parser out of words.
    Named(&'static str),
    /// Euler's number; made by the parser out of words.
    Euler,
}

impl TokenKind {
    /// The sign as it is shown in a message.
    pub fn shown(&self, text: &str, span: Span) -> String {
        text.get(span.start..span.end).unwrap_or("").to_owned()
    }
}

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
        "therefore" | "Rightarrow" | "implies" | "to" | "rightarrow" | "Leftrightarrow" | "iff"
        | "Longrightarrow" => T::So,
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
const VULGAR: &[(char, u32, u32)] = &[
    ('½', 1, 2),
    ('⅓', 1, 3),
    ('⅔', 2, 3),
    ('¼', 1, 4),
    ('¾', 3, 4),
    ('⅕', 1, 5),
    ('⅖', 2, 5),
    ('⅗', 3, 5),
    ('⅘', 4, 5),
    ('⅙', 1, 6),
    ('⅚', 5, 6),
    ('⅛', 1, 8),
    ('⅜', 3, 8),
    ('⅝', 5, 8),
    ('⅞', 7, 8),
    ('⅐', 1, 7),
    ('⅑', 1, 9),
    ('⅒', 1, 10),
];
const RAISED: &str = "⁰¹²³⁴⁵⁶⁷⁸⁹";

/// A box or a line that stands for a number to be found.
pub(crate) const BLANK: &str = "□";

struct Cutter<'a> {
    text: &'a str,
    at: usize,
    found: Vec<Token>,
    spaced: bool,
    latex: bool,
    /// Whether words behind numbers are units.
    quantities: bool,
    /// How many of the next arguments are a single digit when they are not in braces: two after
    /// `\\frac`, one after `^` in LaTeX. The outer counts wait while a brace is open.
    single: Vec<u8>,
    /// Whether a column of numbers is open, whose rows `\\\\` parts.
    columns: bool,
    /// Where the braces of `\\text` and its like close: what stands in them is words like any other.
    word_ends: Vec<usize>,
}

/// Cuts `text` into tokens.
///
/// In LaTeX, `x^23` is x squared times three.
///
/// # Errors
/// A character or a LaTeX command that means nothing here.
pub(super) fn tokens(text: &str, latex: bool, quantities: bool) -> Result<Vec<Token>, ReadError> {
    let (found, single) = (Vec::new(), vec![0]);
    let mut cutter = Cutter {
        text,
        at: 0,
        found,
        spaced: false,
        latex,
        quantities,
        single,
        columns: false,
        word_ends: Vec::new(),
    };
    while cutter.at < text.len() {
        cutter.cut()?;
    }
    Ok(cutter.found)
}

impl<'a> Cutter<'a> {
    fn rest(&self) -> &'a str {
        &self.text[self.at..]
    }

    fn push(&mut self, kind: TokenKind, bytes: usize) {
        let span = Span::new(self.at, self.at + bytes);
        self.count_single(&kind);
        let upright = !self.word_ends.is_empty();
        self.found.push(Token { kind, span, spaced: self.spaced, upright });
        self.at += bytes;
        self.spaced = false;
    }

    fn count_single(&mut self, kind: &TokenKind) {
        if let Some(last) = self.single.last_mut() {
            *last = match kind {
                TokenKind::Command("frac" | "dfrac" | "tfrac" | "binom" | "dbinom" | "tbinom") => 2,
                TokenKind::Power | TokenKind::Underscore if self.latex => 1,
                TokenKind::Close('}') => *last,
                _ => last.saturating_sub(1),
            };
        }
        match kind {
            TokenKind::Open('{') => self.single.push(0),
            TokenKind::Close('}') if self.single.len() > 1 => {
                self.single.pop();
            }
            _ => {}
        }
    }

    fn skip(&mut self, bytes: usize) {
        self.at += bytes;
        self.spaced = true;
    }

    fn cut(&mut self) -> Result<(), ReadError> {
        use TokenKind as T;
        let rest = self.rest();
        let Some(first) = rest.chars().next() else { return Ok(()) };
        let size = first.len_utf8();
        if first == '\n' && self.ends_a_statement() {
            self.push(T::Semicolon, size);
            return Ok(());
        }
        if first.is_whitespace() || matches!(first, '\u{200b}' | '\u{feff}' | '\u{fe0f}') {
            self.skip(size);
            return Ok(());
        }
        for (sign, kind) in [
            ("<=>", T::So),
            ("<=", T::Relation(Relation::LessOrEqual)),
            (">=", T::Relation(Relation::GreaterOrEqual)),
            ("!=", T::Relation(Relation::NotEqual)),
            ("~=", T::Relation(Relation::Approximate)),
            ("+-", T::PlusMinus),
            ("+/-", T::PlusMinus),
            ("=>", T::So),
            ("->", T::So),
            ("=<", T::Relation(Relation::LessOrEqual)),
            ("::", T::Relation(Relation::Equal)),
            ("...", T::Dots),
            ("**", T::Power),
        ] {
            // `5+-3` is five plus minus three; only a sign that begins a term is "plus or minus".
            if rest.starts_with(sign) && !(sign == "+-" && self.after_value()) {
                self.push(kind, sign.len());
                return Ok(());
            }
        }
        if let Some(length) = self.blank() {
            self.push(T::Letter(BLANK.to_owned()), length);
            return Ok(());
        }
        if first == '}' && self.word_ends.last() == Some(&self.at) {
            self.word_ends.pop();
            self.skip(size);
            return Ok(());
        }
        if first == '\\' {
            return self.command();
        }
        if first == '^'
            && let Some(length) = raised_circle(&rest[size..])
        {
            self.push(T::Degree, size + length);
            return Ok(());
        }
        if lowered(first).is_some() {
            return self.subscript();
        }
        if let Some((digits, base, length)) = self.numeral() {
            self.push(T::Based(digits, base), length);
            return Ok(());
        }
        if first.is_ascii_digit() || (first == '.' && self.digit_follows(1)) {
            return self.number();
        }
        if let Some((_, n, d)) = VULGAR.iter().find(|entry| entry.0 == first) {
            self.push(T::VulgarFraction(*n, *d), size);
            return Ok(());
        }
        if raised_in_words(rest) {
            return self.raised_exponent();
        }
        if RAISED.contains(first) || (first == '⁻' && rest.chars().nth(1).is_some_and(raised)) {
            return self.superscript();
        }
        if first == 'π' {
            self.push(T::Pi, size);
            return Ok(());
        }
        if matches!(first, '∑' | 'Σ') {
            self.push(T::Sum, size);
            return Ok(());
        }
        if first.is_alphabetic() || first == '\'' {
            let length: usize = rest
                .chars()
                .take_while(|&c| {
                    (c.is_alphabetic() && !matches!(c, 'π' | 'Σ') && raised_letter(c).is_none())
                        || c == '\''
                        || c == '’'
                })
                .map(char::len_utf8)
                .sum();
            self.push(T::Word(rest[..length].to_owned()), length);
            return Ok(());
        }
        let kind = match first {
            '+' | '＋' => T::Plus,
            '-' | '－' | '−' | '–' | '—' | '‐' | '‑' => T::Minus,
            '±' => T::PlusMinus,
            '∓' => T::MinusPlus,
            '*' | '✕' | '✖' | '＊' | '×' | '·' | '⋅' | '∙' | '•' => T::Times,
            '/' | '÷' | '∕' | '⁄' => T::Over,
            '^' => T::Power,
            '_' => T::Underscore,
            '%' => T::Percent,
            '!' => T::Bang,
            '|' => T::Bar,
            ',' => T::Comma,
            ';' => T::Semicolon,
            ':' | '∶' => T::Colon,
            '°' if self.quantities && rest[size..].starts_with('C') => {
                match Unit::named("°C") {
                    Some(unit) => self.push(T::Unit(unit), size + 1),
                    None => self.skip(size),
                }
                return Ok(());
            }
            '°' => T::Degree,
            '√' => T::Root(2),
            '∛' => T::Root(3),
            '∜' => T::Root(4),
            '（' => T::Open('('),
            '）' => T::Close(')'),
            '(' | '[' | '{' => T::Open(first),
            ')' | ']' | '}' => T::Close(first),
            '=' | '＝' => T::Relation(Relation::Equal),
            '<' | '＜' => T::Relation(Relation::Less),
            '>' | '＞' => T::Relation(Relation::Greater),
            '≤' | '⩽' | '≦' => T::Relation(Relation::LessOrEqual),
            '≥' | '⩾' | '≧' => T::Relation(Relation::GreaterOrEqual),
            '≠' => T::Relation(Relation::NotEqual),
            // Between two figures it says that they are similar.
            '~' if matches!(&self.found.last(), Some(Token { kind: T::Name(name), .. }) if name.starts_with('△')) =>
            {
                let span = Span::new(self.at, self.at + size);
                return Err(ReadError::new(ReadErrorKind::UnknownCharacter('~'), span));
            }
            '≈' | '≃' | '≅' | '≐' | '~' => T::Relation(Relation::Approximate),
            '∷' => T::Relation(Relation::Equal),
            '∴' | '→' | '⇒' | '⟹' | '⟶' | '⇔' | '⟺' | '➔' => T::So,
            '…' => T::Dots,
            '∘' => T::After,
            '⌊' | '⌈' => {
                let name = if first == '⌊' { "floor" } else { "ceil" };
                self.push(T::Word(name.into()), 0);
                T::Open('(')
            }
            '⌋' | '⌉' => T::Close(')'),
            '✓' | '✔' | '✗' | '✘' | '☑' | '✅' | '❌' | '\u{fe0e}' => {
                self.skip(size); // a tick says nothing of the mathematics
                return Ok(());
            }
            '∠' | '△' | '▵' => return self.sign_with_points(first),
            // In an environment it says where lines stand below each other.
            '&' if self.text.contains("\\begin") && !self.columns => {
                self.skip(size);
                return Ok(());
            }
            // `2 & 3/4` is a mixed number.
            '&' if matches!(self.found.last(), Some(Token { kind: T::Number(_), .. }))
                && rest[size..].trim_start().starts_with(|c: char| c.is_ascii_digit()) =>
            {
                self.skip(size);
                return Ok(());
            }
            '&' => T::Word("and".into()),
            '∨' => T::Word("or".into()),
            '∧' => T::Word("and".into()),
            '∈' => T::In,
            '∞' => T::Infinity,
            '∪' => T::Union,
            '∅' => T::Word("none".into()),
            '.' => T::Stop,
            '?' if self.after_value() => T::Stop,
            '€' | '£' | '¢' => match Unit::named(first.encode_utf8(&mut [0; 4])) {
                Some(unit) => T::Unit(unit),
                None => T::Stop,
            },
            '$' if self.quantities => match Unit::named("$") {
                Some(unit) => T::Unit(unit),
                None => T::Stop,
            },
            '$' => {
                self.skip(size); // the marks around mathematics in running text
                return Ok(());
            }
            other => {
                let span = Span::new(self.at, self.at + size);
                let error = ReadError::new(ReadErrorKind::UnknownCharacter(other), span);
                return Err(error.with_mend(span, ""));
            }
        };
        self.push(kind, size);
        Ok(())
    }

    /// Whether a line break here parts two statements: a relation stands before it, and no bracket is open.
    fn ends_a_statement(&self) -> bool {
        use TokenKind as T;
        let open = self.found.iter().fold(0i32, |open, token| match token.kind {
            T::Open(_) => open + 1,
            T::Close(_) => open - 1,
            _ => open,
        });
        let last = self.found.iter().rposition(|token| token.kind == T::Semicolon);
        let since = &self.found[last.map_or(0, |at| at + 1)..];
        let rest = self.rest().trim();
        open == 0
            && !rest.is_empty()
            && since.iter().any(|token| matches!(token.kind, T::Relation(_)))
            && !matches!(self.found.last(), Some(Token { kind: T::Relation(_) | T::Comma, .. }))
    }

    /// The length of a box or a line that stands for a number: `□`, `___`, `[ ]`, `?`.
    fn blank(&self) -> Option<usize> {
        let rest = self.rest();
        let first = rest.chars().next()?;
        if matches!(first, '□' | '☐' | '⬜' | '◻' | '▢') {
            return Some(first.len_utf8());
        }
        if rest.starts_with("__") {
            return Some(rest.bytes().take_while(|b| *b == b'_').count());
        }
        if first == '[' {
            let inside = rest[1..].trim_start();
            return inside.starts_with(']').then(|| rest.len() - inside.len() + 1);
        }
        // A question mark is a number where one stands alone; at the end of a line it asks.
        let is_asked = first == '?' && {
            let after = rest[1..].trim_start();
            let value_before = self.after_value();
            !value_before && !after.starts_with(|c: char| c.is_alphanumeric())
        };
        is_asked.then_some(1)
    }

    /// Whether the last token ends a value, so that a sign after it is an operation.
    fn after_value(&self) -> bool {
        use TokenKind as T;
        self.found.last().is_some_and(|token| {
            matches!(
                token.kind,
                T::Number(_)
                    | T::VulgarFraction(..)
                    | T::Word(_)
                    | T::Close(_)
                    | T::Pi
                    | T::Superscript(_)
                    | T::Percent
                    | T::Degree
            )
        })
    }

    fn digit_follows(&self, bytes: usize) -> bool {
        self.rest().as_bytes().get(bytes).is_some_and(u8::is_ascii_digit)
    }

    fn command(&mut self) -> Result<(), ReadError> {
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
            _ => {
                if let Some(kind) = plain_command(name) {
                    self.push(kind, length + 1);
                } else if let Some(known) = GROUP_COMMANDS.iter().find(|known| **known == name) {
                    self.push(TokenKind::Command(known), length + 1);
                } else if let Some((_, letter)) = GREEK.iter().find(|entry| entry.0 == name) {
                    self.push(TokenKind::Word((*letter).to_owned()), length + 1);
                } else if super::names::function_named(name).is_some() {
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

    /// `∠ABC`, `∠1`, `△PQR`: one name.
    fn sign_with_points(&mut self, sign: char) -> Result<(), ReadError> {
        self.points(sign, sign.len_utf8())
    }

    /// The points behind an angle's or a triangle's sign that takes `used` bytes.
    fn points(&mut self, sign: char, used: usize) -> Result<(), ReadError> {
        let rest = &self.rest()[used..];
        let gap = rest.len() - rest.trim_start().len();
        let points = rest[gap..].bytes().take_while(u8::is_ascii_alphanumeric).count();
        let name = &rest[gap..gap + points];
        // `∠x` is the angle x: the letter alone says it.
        let kind = if name.len() == 1 && name.bytes().all(|b| b.is_ascii_lowercase()) {
            TokenKind::Word(name.to_owned())
        } else if points == 0 {
            let span = Span::new(self.at, self.at + used);
            return Err(ReadError::new(ReadErrorKind::UnknownCharacter(sign), span));
        } else {
            TokenKind::Name(format!("{sign}{name}"))
        };
        self.push(kind, used + gap + points);
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
fn raised_circle(rest: &str) -> Option<usize> {
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
