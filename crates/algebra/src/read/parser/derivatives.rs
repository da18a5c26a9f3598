//! Derivatives as schools write them: `d/dx (x³)`, `dy/dx`, and the same as fractions in LaTeX.

use super::super::token::{Token, TokenKind as T};
use super::{PRODUCT, Parsed, Parser, begins_value};
use crate::expr::{Expr, ExprKind};

impl Parser<'_> {
    /// The letter at a place, when it is one.
    fn letter_at(&self, ahead: usize) -> Option<&str> {
        match self.peek_at(ahead).map(|token| &token.kind) {
            Some(T::Letter(name)) if name.chars().count() == 1 => Some(name),
            _ => None,
        }
    }

    fn touches(&self, ahead: usize) -> bool {
        self.peek_at(ahead).is_some_and(|token| !token.spaced)
    }

    /// Whether `/d` follows, or `y/d`: a quick look before the closer one.
    pub(super) fn begins_derivative(&self) -> bool {
        let over = |at: usize| self.peek_at(at).is_some_and(|t| t.kind == T::Over);
        let d = |at: usize| self.letter_at(at) == Some("d");
        (over(0) && d(1)) || (over(1) && d(2))
    }

    /// `d/dx` before what is differentiated, or `dy/dx`: the `d` was just taken.
    pub(super) fn derivative(&mut self, first: &Token) -> Option<Parsed> {
        let over = |parser: &Self, at: usize| parser.peek_at(at).is_some_and(|t| t.kind == T::Over);
        // dy/dx
        if let Some(of) = self.letter_at(0).map(str::to_owned)
            && self.touches(0)
            && over(self, 1)
            && self.letter_at(2) == Some("d")
            && self.touches(3)
            && let Some(by) = self.letter_at(3).map(str::to_owned)
        {
            let span = first.span.join(self.tokens[self.at + 3].span);
            self.at += 4;
            return Some(Ok(Expr::at(ExprKind::Symbol(format!("d{of}/d{by}")), span)));
        }
        // d/dx (…)
        let by = self.letter_at(2)?.to_owned();
        let stands = over(self, 0) && self.letter_at(1) == Some("d") && self.touches(2);
        if !stands || !self.peek_at(3).is_some_and(|t| begins_value(&t.kind)) {
            return None;
        }
        self.at += 3;
        Some(self.differentiated(first, &by))
    }

    /// `\\frac{dy}{dx}`, `\\frac{d}{dx}`: the command was just taken.
    pub(super) fn derivative_fraction(&mut self, command: &Token) -> Option<Parsed> {
        let opens = |at: usize| self.peek_at(at).is_some_and(|t| t.kind == T::Open('{'));
        let closes = |at: usize| self.peek_at(at).is_some_and(|t| t.kind == T::Close('}'));
        if !opens(0) || self.letter_at(1) != Some("d") {
            return None;
        }
        let (of, at) = if closes(2) { (None, 3) } else { (Some(self.letter_at(2)?.to_owned()), 4) };
        if !closes(at - 1) || !opens(at) || self.letter_at(at + 1) != Some("d") || !closes(at + 3) {
            return None;
        }
        let by = self.letter_at(at + 2)?.to_owned();
        if of.is_none() && !self.peek_at(at + 4).is_some_and(|t| begins_value(&t.kind)) {
            return None;
        }
        self.at += at + 4;
        let span = command.span.join(self.tokens[self.at - 1].span);
        Some(match of {
            Some(of) => Ok(Expr::at(ExprKind::Symbol(format!("d{of}/d{by}")), span)),
            None => self.differentiated(command, &by),
        })
    }

    /// What stands behind `d/dx`: a bracket with its power, or a product.
    fn differentiated(&mut self, first: &Token, by: &str) -> Parsed {
        let strength = if matches!(self.peek(), Some(T::Open(_))) { PRODUCT + 1 } else { PRODUCT };
        let of = self.operand(first, strength)?;
        let span = first.span.join(of.span);
        Ok(Expr::at(ExprKind::Apply { name: format!("d/d{by}"), arguments: vec![of] }, span))
    }
}
