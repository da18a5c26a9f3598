//! Functions that are only named, `f(x)`, `f^-1(x)`, `fg(x)`, `(f∘g)(x)`, and letters with digits behind them.

use super::super::error::{ReadError, ReadErrorKind};
use super::super::token::{Token, TokenKind as T};
use super::{Parsed, Parser};
use crate::expr::{Expr, ExprKind};
use crate::read::light::Argument;

impl Parser<'_> {
    /// Whether the letter that was just taken is a function here: brackets follow it, perhaps behind `^-1` or another
    /// function.
    pub(super) fn is_applied(&self, name: &str) -> bool {
        let Some(open) = self.bracket_behind() else { return false };
        let Some(letter) =
            name.strip_suffix("''").or_else(|| name.strip_suffix('\'')).or(Some(name))
        else {
            return false;
        };
        let inside = &self.tokens[self.at + open + 1..];
        // `n(A)`: how many are in a set.
        if let ("n", [Token { kind: T::Letter(set), .. }, Token { kind: T::Close(_), .. }, ..]) =
            (letter, inside)
        {
            return set.bytes().all(|b| b.is_ascii_uppercase());
        }
        self.light.is_function(letter, shape(inside))
    }

    /// How many tokens on the bracket opens that holds what the letter is a function of.
    fn bracket_behind(&self) -> Option<usize> {
        let kind = |ahead: usize| self.peek_at(ahead).map(|token| &token.kind);
        let opens = |ahead: usize| {
            self.peek_at(ahead).is_some_and(|token| token.kind == T::Open('(') && !token.spaced)
        };
        match kind(0)? {
            T::Open('(') => opens(0).then_some(0),
            T::Superscript(-1) => opens(1).then_some(1),
            T::Power => match (kind(1)?, kind(2)?) {
                (T::Minus, T::Number(one)) if one == "1" => opens(3).then_some(3),
                (T::Open(_), T::Minus) => {
                    let one = matches!(kind(3)?, T::Number(one) if one == "1");
                    (one && matches!(kind(4)?, T::Close(_)) && opens(5)).then_some(5)
                }
                _ => None,
            },
            // `fg(x)`
            T::Letter(next)
                if self.light.is_function(next, Argument::Value)
                    && !self.tokens[self.at].spaced =>
            {
                opens(1).then_some(1)
            }
            _ => None,
        }
    }

    /// `f(x)`: the letter was just taken, and a bracket follows.
    pub(super) fn applied(&mut self, name: &str, token: &Token) -> Parsed {
        if let Some(T::Letter(inner)) = self.peek() {
            let inner_token = &self.tokens[self.at];
            self.at += 1;
            let inside = self.applied(inner, inner_token)?;
            let span = token.span.join(inside.span);
            return Ok(Expr::at(
                ExprKind::Apply { name: name.into(), arguments: vec![inside] },
                span,
            ));
        }
        let mut name = name.to_owned();
        if !matches!(self.peek(), Some(T::Open('('))) {
            name.push_str("^-1");
            self.at += self.bracket_behind().unwrap_or(0);
        }
        let (mut arguments, end) = self.arguments()?;
        let span = token.span.join(end);
        // `n(A)` counts what is in A, as `|A|` does.
        if name == "n" && arguments.len() == 1 {
            return Ok(Expr::at(ExprKind::Absolute(Box::new(arguments.remove(0))), span));
        }
        Ok(Expr::at(ExprKind::Apply { name, arguments }, span))
    }

    /// Whether `f∘g)(` follows a bracket that was just taken.
    pub(super) fn is_composition(&self) -> bool {
        let kinds: Vec<&T> =
            (0..5).filter_map(|ahead| self.peek_at(ahead).map(|t| &t.kind)).collect();
        matches!(&kinds[..], [T::Letter(_), T::After, T::Letter(_), T::Close(')'), T::Open('(')])
    }

    /// `(f∘g)(x)`: f of g of x.
    pub(super) fn composed(&mut self, open: &Token) -> Parsed {
        let letter = |token: Option<&Token>| match token.map(|token| &token.kind) {
            Some(T::Letter(name)) => name.clone(),
            _ => String::new(),
        };
        let (outer, inner) = (letter(self.peek_at(0)), letter(self.peek_at(2)));
        self.at += 4;
        let (arguments, end) = self.arguments()?;
        let span = open.span.join(end);
        let inside = Expr::at(ExprKind::Apply { name: inner, arguments }, span);
        Ok(Expr::at(ExprKind::Apply { name: outer, arguments: vec![inside] }, span))
    }

    /// Whether digits stand right behind the letter that was just taken.
    pub(super) fn digits_touch(&self) -> bool {
        self.peek_at(0).is_some_and(|next| matches!(next.kind, T::Number(_)) && !next.spaced)
    }

    /// Digits right behind a letter are an exponent or an index that was typed flat: `x2`.
    ///
    /// # Errors
    /// [`ReadErrorKind::FlatPower`], with the power as a mend.
    pub(super) fn no_flat_power(&self, letter: &str, token: &Token) -> Result<(), ReadError> {
        let Some(digits) = self.peek_at(0).filter(|next| !next.spaced) else { return Ok(()) };
        let T::Number(number) = &digits.kind else { return Ok(()) };
        if token.span.end != digits.span.start || self.text.get(digits.span.start..).is_none() {
            return Ok(());
        }
        // `R25` is an amount in rand.
        if letter == "R" {
            return Ok(());
        }
        let kind = ReadErrorKind::FlatPower { letter: letter.to_owned(), digits: number.clone() };
        let span = token.span.join(digits.span);
        Err(ReadError::new(kind, span).with_mend(span, format!("{letter}^{number}")))
    }
}

/// What kind of argument stands inside the bracket that was opened before these tokens.
fn shape(inside: &[Token]) -> Argument {
    let mut depth = 0i32;
    let begins_with_number = matches!(inside.first(), Some(Token { kind: T::Number(_), .. }));
    let mut divides = false;
    for (at, token) in inside.iter().enumerate() {
        match token.kind {
            T::Open(_) => depth += 1,
            T::Close(_) if depth == 0 => break,
            T::Close(_) => depth -= 1,
            T::Plus | T::Minus if depth == 0 && at > 0 => {
                return if begins_with_number { Argument::NumberAndMore } else { Argument::Sum };
            }
            T::Over if depth == 0 => divides = true,
            T::Command("frac" | "dfrac" | "tfrac") if depth == 0 => divides = true,
            _ => {}
        }
    }
    if divides { Argument::Quotient } else { Argument::Value }
}
