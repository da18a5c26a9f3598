//! The tokens of written numbers: grouped digits, repeating decimals, numerals of another base, raised and
//! lowered digits.

use super::{Cutter, RAISED, Token, TokenKind};
use crate::expr::Span;
use crate::read::error::{ReadError, ReadErrorKind};

impl Cutter<'_> {
    /// Digits, with commas or thin spaces between groups of three, and at most one point or decimal comma.
    pub(super) fn number(&mut self) -> Result<(), ReadError> {
        let bytes = self.rest().as_bytes();
        if self.single.last().is_some_and(|&n| n > 0) && bytes[0].is_ascii_digit() {
            let digit = self.rest()[..1].to_owned();
            self.push(TokenKind::Number(digit), 1);
            return Ok(());
        }
        if let Some((text, length)) = self.with_decimal_comma() {
            self.push(TokenKind::Number(text), length);
            return Ok(());
        }
        let (mut text, mut length) = self.grouped_digits();
        let digits = |from: usize| bytes[from..].iter().take_while(|b| b.is_ascii_digit()).count();
        if let Some((fixed, period, length)) = recurring(self.rest(), &text, length) {
            self.push(TokenKind::Recurring(fixed, period), length);
            return Ok(());
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
        // 3.2E5
        let exponent = match &bytes[length..] {
            [b'E', b'+', rest @ ..] => Some((2, rest)),
            [b'E', rest @ ..] => Some((1, rest.strip_prefix(b"-").unwrap_or(rest))),
            _ => None,
        };
        if let Some((sign, [first, ..])) = exponent
            && first.is_ascii_digit()
        {
            self.push(TokenKind::Word("e".into()), sign);
        }
        Ok(())
    }

    /// Digits in groups of three, or as in India in groups of two before the last three; and how many bytes.
    fn grouped_digits(&self) -> (String, usize) {
        let bytes = self.rest().as_bytes();
        let digits = |from: usize| bytes[from..].iter().take_while(|b| b.is_ascii_digit()).count();
        let mut length = digits(0);
        let mut text = self.rest()[..length].to_owned();
        let in_list = self.inside_list();
        // Only what begins with one to three digits can go on in groups of three, and no base of a logarithm:
        // `log_10 100` is 2.
        let is_base = self.found.last().is_some_and(|token| token.kind == TokenKind::Underscore);
        if is_base || !(1..=3).contains(&length) {
            return (text, length);
        }
        if !in_list
            && length <= 2
            && let Some((digits, bytes)) = grouped_in_twos(self.rest())
        {
            return (digits, bytes);
        }
        loop {
            // A group of three after a comma (outside lists) or one space: 1,200 or 1 200 000. An
            // equation editor writes the space as `\:` or `\,`.
            let gap = match &bytes[length..] {
                [b',', ..] if !in_list => 1,
                [b' ', ..] => 1,
                [0xc2, 0xa0, ..] => 2,
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
        (text, length)
    }

    /// `2,5`, `1.250,50`, `2{,}5`: a comma that cannot part thousands or the things of a list is a decimal comma.
    fn with_decimal_comma(&self) -> Option<(String, usize)> {
        let rest = self.rest();
        let digits =
            |from: usize| rest.as_bytes()[from..].iter().take_while(|b| b.is_ascii_digit()).count();
        let mut whole = digits(0);
        let mut text = rest[..whole].to_owned();
        let mut grouped = false;
        while (grouped || whole <= 3) && rest[whole..].starts_with('.') && digits(whole + 1) == 3 {
            text.push_str(&rest[whole + 1..whole + 4]);
            whole += 4;
            grouped = true;
        }
        let (comma, braced) = match &rest[whole..] {
            after if after.starts_with("{,}") => (3, true),
            after if after.starts_with(',') => (1, false),
            _ => return None,
        };
        let places = digits(whole + comma);
        let behind = &rest.as_bytes()[whole + comma + places..];
        let goes_on = matches!(behind, [b',', next, ..] if next.is_ascii_digit())
            || matches!(behind, [b'.', next, ..] if next.is_ascii_digit());
        let parts_thousands = !grouped && places == 3 && whole <= 3;
        let is_one = places > 0
            && whole > 0
            && !goes_on
            && (braced || (!parts_thousands && !self.inside_brackets() && !self.in_a_list()));
        is_one.then(|| {
            (
                format!("{text}.{}", &rest[whole + comma..whole + comma + places]),
                whole + comma + places,
            )
        })
    }

    /// Whether a bracket is open here.
    fn inside_brackets(&self) -> bool {
        self.found.iter().fold(0i32, |open, token| match token.kind {
            TokenKind::Open(_) => open + 1,
            TokenKind::Close(_) => open - 1,
            _ => open,
        }) > 0
    }

    /// Whether commas already part the things of a list: `1, 4, 9,16`.
    fn in_a_list(&self) -> bool {
        self.found.iter().any(|token| token.kind == TokenKind::Comma)
    }

    /// `ⁿ⁺¹`, `ˣ`: letters, signs and digits set high are an exponent.
    pub(super) fn raised_exponent(&mut self) -> Result<(), ReadError> {
        self.push(TokenKind::Power, 0);
        self.push(TokenKind::Open('{'), 0);
        while let Some(sign) = self.rest().chars().next() {
            let kind = if let Some(digit) = RAISED.chars().position(|r| r == sign) {
                TokenKind::Number(digit.to_string())
            } else if let Some(letter) = raised_letter(sign) {
                TokenKind::Word(letter.to_string())
            } else {
                match sign {
                    '⁺' => TokenKind::Plus,
                    '⁻' => TokenKind::Minus,
                    '⁽' => TokenKind::Open('('),
                    '⁾' => TokenKind::Close(')'),
                    _ => break,
                }
            };
            self.push(kind, sign.len_utf8());
        }
        self.push(TokenKind::Close('}'), 0);
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
        if let Some((base, used)) = base_in_words(behind) {
            crate::number::Written::based(&rest[..length], base)?;
            return Some((rest[..length].to_owned(), base, length + used));
        }
        if &rest[..length] == "0" && (behind.starts_with('x') || behind.starts_with('X')) {
            let digits = behind[1..].bytes().take_while(is_digit).count();
            // `0x2F`: at least one digit that no number to multiply by has.
            let is_one = behind[1..=digits].bytes().any(|b| b.is_ascii_uppercase());
            return is_one.then(|| (behind[1..=digits].to_owned(), 16, length + 1 + digits));
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

/// Whether what is set high here is more than a whole number: `ⁿ⁺¹`, `²ˣ`, `⁽`.
pub(super) fn raised_in_words(rest: &str) -> bool {
    let is_high = |c: char| raised(c) || raised_letter(c).is_some() || "⁺⁻⁽⁾".contains(c);
    let mut run = rest.chars().take_while(|c| is_high(*c)).peekable();
    run.peek().is_some() && run.any(|c| raised_letter(c).is_some() || "⁺⁽".contains(c))
}

/// The letter that is written raised.
#[rustfmt::skip]
pub(super) fn raised_letter(sign: char) -> Option<char> {
    const PAIRS: &[(char, char)] = &[
        ('ᵃ', 'a'), ('ᵇ', 'b'), ('ᶜ', 'c'), ('ᵈ', 'd'), ('ᵉ', 'e'), ('ᶠ', 'f'), ('ᵍ', 'g'), ('ʰ', 'h'),
        ('ⁱ', 'i'), ('ʲ', 'j'), ('ᵏ', 'k'), ('ˡ', 'l'), ('ᵐ', 'm'), ('ⁿ', 'n'), ('ᵒ', 'o'), ('ᵖ', 'p'),
        ('ʳ', 'r'), ('ˢ', 's'), ('ᵗ', 't'), ('ᵘ', 'u'), ('ᵛ', 'v'), ('ʷ', 'w'), ('ˣ', 'x'), ('ʸ', 'y'),
        ('ᶻ', 'z'),
    ];
    PAIRS.iter().find(|(raised, _)| *raised == sign).map(|(_, letter)| *letter)
}

/// `1,00,000`: one or two digits, groups of two, a group of three; and how many bytes.
fn grouped_in_twos(rest: &str) -> Option<(String, usize)> {
    let bytes = rest.as_bytes();
    let digits = |from: usize| {
        bytes.get(from..).map_or(0, |b| b.iter().take_while(|b| b.is_ascii_digit()).count())
    };
    let mut length = digits(0);
    let mut text = rest.get(..length)?.to_owned();
    let mut twos = 0;
    while bytes.get(length) == Some(&b',') {
        let group = digits(length + 1);
        text.push_str(rest.get(length + 1..length + 1 + group)?);
        length += 1 + group;
        match group {
            2 => twos += 1,
            3 if twos > 0 && bytes.get(length) != Some(&b',') => return Some((text, length)),
            _ => return None,
        }
    }
    None
}

/// A decimal whose period is shown by dots or a bar, or that goes on as it began: `0.1̇8̇`, `0.\overline{18}`,
/// `0.1818…`, `0.18 recurring`. What stands before the period, the period, and how many bytes. `text` are the
/// whole digits, `length` bytes long.
fn recurring(rest: &str, text: &str, length: usize) -> Option<(String, String, usize)> {
    let after = rest.get(length..)?.strip_prefix('.')?;
    let mut at = length + 1;
    let (mut digits, mut marked) = (String::new(), Vec::new());
    loop {
        let here = rest.get(at..)?;
        let mut signs = here.chars();
        match signs.next() {
            Some(digit) if digit.is_ascii_digit() => {
                digits.push(digit);
                at += 1;
                // A dot or a bar over it: combining marks.
                if let Some(mark @ ('\u{307}' | '\u{305}' | '\u{304}')) = signs.next() {
                    marked.push(digits.len() - 1);
                    at += mark.len_utf8();
                }
            }
            Some('\\') => {
                let command =
                    ["\\overline{", "\\dot{", "\\bar{"].into_iter().find(|c| here.starts_with(c));
                let Some(command) = command else { break };
                let inside = &here[command.len()..];
                let count = inside.bytes().take_while(u8::is_ascii_digit).count();
                if count == 0 || !inside[count..].starts_with('}') {
                    return None;
                }
                marked.push(digits.len());
                digits.push_str(&inside[..count]);
                marked.push(digits.len() - 1);
                at += command.len() + count + 1;
            }
            _ => break,
        }
    }
    let parted = |from: usize, to: usize| {
        Some((format!("{text}.{}", &digits[..from]), digits[from..to].to_owned()))
    };
    if let (Some(first), Some(last)) = (marked.first(), marked.last()) {
        // Dots over the first and the last digit of the period; nothing may follow it.
        let (fixed, period) = parted(*first, last + 1)?;
        return (last + 1 == digits.len()).then_some((fixed, period, at));
    }
    let _ = after;
    let behind = &rest[at..];
    let word = behind.trim_start();
    if word.starts_with("recurring") || word.starts_with("repeating") {
        let used = at + (behind.len() - word.len()) + "recurring".len();
        let (fixed, period) = parted(0, digits.len())?;
        return (!digits.is_empty()).then_some((fixed, period, used));
    }
    let dots = ["…", "...", "\\ldots", "\\dots"].into_iter().find(|d| behind.starts_with(d))?;
    let (from, to) = repeats_from(&digits)?;
    let (fixed, period) = parted(from, to)?;
    Some((fixed, period, at + dots.len()))
}

/// Where the digits begin to repeat, and where they do so first: `1666` from 1 to 2. At least twice in full.
fn repeats_from(digits: &str) -> Option<(usize, usize)> {
    let digits = digits.as_bytes();
    (0..digits.len()).find_map(|from| {
        let tail = &digits[from..];
        let period = (1..=tail.len() / 2)
            .find(|period| tail.iter().zip(&tail[*period..]).all(|(a, b)| a == b))?;
        // `0.1223…` with its two twos is no such decimal; three digits or two full periods are.
        (tail.len() >= 2 * period && tail.len() >= 3).then_some((from, from + period))
    })
}

/// `base 2` or `(base 2)` behind a numeral: the base, and how many bytes.
fn base_in_words(behind: &str) -> Option<(u32, usize)> {
    let start = behind.trim_start();
    let (inside, bracket) = match start.strip_prefix('(') {
        Some(inside) => (inside, true),
        None => (start, false),
    };
    let after = inside.strip_prefix("base")?;
    let number = after.trim_start();
    let digits = number.bytes().take_while(u8::is_ascii_digit).count();
    let base = number.get(..digits)?.parse().ok()?;
    let mut end = &number[digits..];
    if bracket {
        end = end.strip_prefix(')')?;
    }
    (start.len() < behind.len() || bracket).then_some((base, behind.len() - end.len()))
}
