//! The tokens of written numbers: grouped digits, repeating decimals, numerals of another base, raised and
//! lowered digits.

use super::{Cutter, RAISED, Token, TokenKind};
use crate::expr::Span;
use crate::read::error::{ReadError, ReadErrorKind};

impl Cutter<'_> {
    /// Digits, with commas or thin spaces between groups of three, and at most one point.
    pub(super) fn number(&mut self) -> Result<(), ReadError> {
        let bytes = self.rest().as_bytes();
        if self.single.last().is_some_and(|&n| n > 0) && bytes[0].is_ascii_digit() {
            let digit = self.rest()[..1].to_owned();
            self.push(TokenKind::Number(digit), 1);
            return Ok(());
        }
        let digits = |from: usize| bytes[from..].iter().take_while(|b| b.is_ascii_digit()).count();
        let mut length = digits(0);
        let mut text = self.rest()[..length].to_owned();
        let in_list = self.inside_list();
        // Only what begins with one to three digits can go on in groups of three, and no base of a logarithm:
        // `log_10 100` is 2.
        let is_base = self.found.last().is_some_and(|token| token.kind == TokenKind::Underscore);
        let groups = if (1..=3).contains(&length) && !is_base { usize::MAX } else { 0 };
        for _ in 0..groups {
            // A group of three after a comma (outside lists) or one space: 1,200 or 1 200 000. An
            // equation editor writes the space as `\:` or `\,`.
            let gap = match &bytes[length..] {
                [b',', ..] if !in_list => 1,
                [b' ', ..] => 1,
                [b'\\', b':' | b',' | b' ', ..] => 2,
                _ => break,
            };
            let group = length + gap;
            // `3 100/200` is a mixed number, not three thousand one hundred over two hundred.
            let is_mixed = bytes[length] == b' ' && bytes.get(group + 3) == Some(&b'/');
            if is_mixed || bytes.len() < group + 3 || digits(group) != 3 {
                break;
            }
            text.push_str(&self.rest()[group..group + 3]);
            length = group + 3;
        }
        // 0.(3): the period follows the point at once.
        if bytes.get(length) == Some(&b'.') && bytes.get(length + 1) == Some(&b'(') {
            let period = digits(length + 2);
            if period > 0 && bytes.get(length + 2 + period) == Some(&b')') {
                text.push('.');
                length += 1;
            }
        }
        if bytes.get(length) == Some(&b'.') && bytes.get(length + 1).is_some_and(u8::is_ascii_digit)
        {
            let places = digits(length + 1);
            text.push_str(&self.rest()[length..=length + places]);
            length += places + 1;
            if bytes.get(length) == Some(&b'.')
                && bytes.get(length + 1).is_some_and(u8::is_ascii_digit)
            {
                let end = length + 1 + digits(length + 1);
                let span = Span::new(self.at, self.at + end);
                let shown = self.rest()[..end].to_owned();
                return Err(ReadError::new(ReadErrorKind::BadNumber(shown), span));
            }
        }
        self.push(TokenKind::Number(text), length);
        Ok(())
    }

    /// Whether the text so far stands inside the brackets of a list or a function's arguments, where
    /// a comma parts two things. `(` counts only after a function's name.
    fn inside_list(&self) -> bool {
        let mut open = Vec::new();
        for (index, token) in self.found.iter().enumerate() {
            match token.kind {
                TokenKind::Open(sign) => {
                    let called = index > 0
                        && matches!(&self.found[index - 1].kind, TokenKind::Word(w) if w.len() > 1 || w == "C");
                    open.push(sign != '(' || called);
                }
                TokenKind::Close(_) => {
                    open.pop();
                }
                _ => {}
            }
        }
        open.last().copied().unwrap_or(false)
    }

    /// `log₂`, `x₁`
    pub(super) fn subscript(&mut self) -> Result<(), ReadError> {
        let digits: String = self.rest().chars().map_while(lowered).collect();
        let length: usize = self.rest().chars().take(digits.len()).map(char::len_utf8).sum();
        self.push(TokenKind::Underscore, 0);
        self.push(TokenKind::Number(digits), length);
        Ok(())
    }

    /// `1011_2`, `2F_16`: digits and capitals, each below the base that follows.
    pub(super) fn numeral(&self) -> Option<(String, u32, usize)> {
        let rest = self.rest();
        let is_digit = |b: &u8| b.is_ascii_digit() || (b'A'..=b'F').contains(b);
        let length = rest.bytes().take_while(is_digit).count();
        let behind = rest.get(length..).filter(|_| length > 0)?;
        let follows_letter = matches!(self.found.last(), Some(Token { kind: TokenKind::Word(_), .. }) if !self.spaced);
        if follows_letter {
            return None;
        }
        let below: String = behind.chars().map_while(lowered).collect();
        if !below.is_empty() {
            let base: u32 = below.parse().ok()?;
            crate::number::Written::based(&rest[..length], base)?;
            let used = '₀'.len_utf8() * below.len();
            return Some((rest[..length].to_owned(), base, length + used));
        }
        let after = behind.strip_prefix('_')?;
        let (base, used) = match after.strip_prefix('{') {
            Some(inside) => {
                let digits = inside.bytes().take_while(u8::is_ascii_digit).count();
                inside[digits..].starts_with('}').then_some((&inside[..digits], digits + 2))?
            }
            None => {
                let digits = after.bytes().take_while(u8::is_ascii_digit).count();
                // In LaTeX only one digit stands below without braces.
                let digits = if self.latex { digits.min(1) } else { digits };
                (&after[..digits], digits)
            }
        };
        let base: u32 = base.parse().ok()?;
        crate::number::Written::based(&rest[..length], base)?;
        Some((rest[..length].to_owned(), base, length + 1 + used))
    }

    /// `x²`, `x⁻¹`
    pub(super) fn superscript(&mut self) -> Result<(), ReadError> {
        let (mut value, mut length) = (0i64, 0);
        let negative = self.rest().starts_with('⁻');
        for c in self.rest().chars().skip(usize::from(negative)) {
            let Some(digit) = RAISED.chars().position(|r| r == c) else { break };
            if value > 100_000 {
                let span = Span::new(self.at, self.at + length);
                return Err(ReadError::new(ReadErrorKind::TooLong, span));
            }
            value = value * 10 + digit as i64;
            length += c.len_utf8();
        }
        if negative {
            length += '⁻'.len_utf8();
            value = -value;
        }
        self.push(TokenKind::Superscript(value), length);
        Ok(())
    }
}

/// Whether the sign is a raised digit.
pub(super) fn raised(c: char) -> bool {
    RAISED.contains(c)
}

/// The digit that is written lowered as `₂`.
pub(super) fn lowered(sign: char) -> Option<char> {
    let digit = u32::from(sign).checked_sub(u32::from('₀')).filter(|digit| *digit < 10)?;
    char::from_digit(digit, 10)
}
