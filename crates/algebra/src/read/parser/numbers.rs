//! Numbers and quantities: mixed numbers, periods, powers of ten, units.

use super::super::Note;
use super::super::error::{ReadError, ReadErrorKind};
use super::super::token::{Token, TokenKind as T};
use super::{POWER, Parsed, Parser, begins_value};
use crate::expr::{Expr, ExprKind, Span};
use crate::number::Integer;
use crate::number::Written;
use crate::unit::Unit;

impl<'a> Parser<'a> {
    /// A number, and what may stand right behind it: a fraction (a mixed number), an exponent of ten,
    /// a period.
    pub(super) fn number(&mut self, digits: &str, token: &Token) -> Parsed {
        let bad = |span: Span| {
            let shown = self.text.get(span.start..span.end).unwrap_or(digits).to_owned();
            ReadError::new(ReadErrorKind::BadNumber(shown), span)
        };
        let mut span = token.span;
        let is_whole = !digits.contains('.');
        let found = if let Some((n, d, used, end)) = self.fraction_part().filter(|_| is_whole) {
            span = span.join(end);
            self.at += used;
            let whole: Option<Integer> = digits.parse().ok();
            whole.and_then(|whole| Written::mixed(whole, n, d))
        } else if let Some((exponent, used, end)) = self.power_of_ten() {
            span = span.join(end);
            self.at += used;
            Written::scientific(digits, exponent)
        } else if let Some((period, end)) = self.period(digits).filter(|_| !is_whole) {
            span = span.join(end);
            self.at += 3;
            self.notes.push(Note::Repeats(span));
            Written::repeating(digits, period)
        } else {
            Written::decimal(digits)
        };
        let written = found.ok_or_else(|| bad(span))?;
        Ok(Expr::at(ExprKind::Number(written), span))
    }

    /// The unit behind a number, and the smaller ones that go with it: `2 h 15 min`.
    pub(super) fn with_unit(&mut self, number: Expr) -> Parsed {
        // `1/2 h` is half an hour: the unit belongs to the fraction.
        let before = |back: usize| self.at.checked_sub(back).and_then(|at| self.tokens.get(at));
        let under = before(2).is_some_and(|t| t.kind == T::Over && !t.spaced)
            && before(1).is_some_and(|t| !t.spaced)
            && before(3).is_some_and(|t| matches!(t.kind, T::Number(_) | T::Pi));
        // `cm^3 m`: an exponent counts nothing.
        let raised = before(2).is_some_and(|t| t.kind == T::Power);
        let (Some(T::Unit(unit)), false) = (self.peek(), under || raised) else {
            return Ok(number);
        };
        if unit.stands_before() {
            return Ok(number);
        }
        let mut found = self.one_quantity(number, *unit)?;
        let mut last = *unit;
        while let (Some(T::Number(digits)), Some(Token { kind: T::Unit(next), .. })) =
            (self.peek(), self.peek_at(1))
        {
            let is_smaller = next.parts() == last.parts() && next.factor() < last.factor();
            if !is_smaller {
                break;
            }
            let token = &self.tokens[self.at];
            self.at += 1;
            self.count(token.span)?;
            let number = self.number(digits, token)?;
            let more = self.one_quantity(number, *next)?;
            let span = found.span.join(more.span);
            found = Expr::at(ExprKind::Add(Box::new(found), Box::new(more)), span);
            last = *next;
        }
        Ok(found)
    }

    /// A number and its unit, which may have a power: `12 cm²`.
    pub(super) fn one_quantity(&mut self, number: Expr, unit: Unit) -> Parsed {
        let span = self.tokens[self.at].span;
        self.at += 1;
        self.count(span)?;
        let mut unit = Expr::at(ExprKind::Unit(unit), span);
        if matches!(self.peek(), Some(T::Power | T::Superscript(_))) {
            unit = self.infix(unit, POWER)?;
        }
        let span = number.span.join(unit.span);
        Ok(Expr::at(ExprKind::Multiply(Box::new(number), Box::new(unit)), span))
    }

    /// A unit by itself, or the sign of a currency with the number behind it.
    pub(super) fn unit(&mut self, unit: Unit, span: Span) -> Parsed {
        let alone = Expr::at(ExprKind::Unit(unit), span);
        if !unit.stands_before() {
            return Ok(alone);
        }
        match self.peek() {
            Some(T::Number(digits)) => {
                let token = &self.tokens[self.at];
                self.at += 1;
                let number = self.number(digits, token)?;
                let span = span.join(number.span);
                Ok(Expr::at(ExprKind::Multiply(Box::new(number), Box::new(alone)), span))
            }
            _ => Ok(alone),
        }
    }

    pub(super) fn whole_at(&self, ahead: usize) -> Option<(&'a Token, Integer)> {
        let token = self.peek_at(ahead)?;
        match &token.kind {
            T::Number(digits) => Some((token, digits.parse().ok()?)),
            _ => None,
        }
    }

    /// `1/2` after a space, `½`, or `\frac{1}{2}`: the numerator, the denominator, tokens, the end.
    pub(super) fn fraction_part(&self) -> Option<(Integer, Integer, usize, Span)> {
        let first = self.peek_at(0)?;
        match &first.kind {
            T::VulgarFraction(n, d) => Some(((*n).into(), (*d).into(), 1, first.span)),
            T::Number(_) if first.spaced => {
                let (_, n) = self.whole_at(0)?;
                let slash = self.peek_at(1).filter(|t| t.kind == T::Over && !t.spaced)?;
                let (end, d) = self.whole_at(2).filter(|(t, _)| !t.spaced)?;
                let _ = slash;
                Some((n, d, 3, end.span))
            }
            T::Command("frac" | "dfrac" | "tfrac") => {
                let braced = |at: usize| -> Option<(Integer, usize)> {
                    if let Some((_, n)) = self.whole_at(at) {
                        return Some((n, 1));
                    }
                    let opens = self.peek_at(at)?.kind == T::Open('{');
                    let closes = self.peek_at(at + 2)?.kind == T::Close('}');
                    (opens && closes).then(|| self.whole_at(at + 1).map(|(_, n)| (n, 3)))?
                };
                let (n, first_used) = braced(1)?;
                let (d, second_used) = braced(1 + first_used)?;
                let used = 1 + first_used + second_used;
                Some((n, d, used, self.peek_at(used - 1)?.span))
            }
            _ => None,
        }
    }

    /// `e5`, `e-5` right behind the digits.
    pub(super) fn power_of_ten(&self) -> Option<(i32, usize, Span)> {
        let letter = self.peek_at(0)?;
        if letter.kind != T::Euler || letter.spaced {
            return None;
        }
        let minus = self.peek_at(1).is_some_and(|t| t.kind == T::Minus && !t.spaced);
        let at = 1 + usize::from(minus);
        let (token, _) = self.whole_at(at).filter(|(t, _)| !t.spaced)?;
        let T::Number(digits) = &token.kind else { return None };
        let size: i32 = digits.parse().ok().filter(|&n| n < 10_000)?;
        Some((if minus { -size } else { size }, at + 1, token.span))
    }

    /// `(6)` right behind the digits, unless something multiplies it.
    pub(super) fn period(&self, before: &str) -> Option<(&'a str, Span)> {
        let open = self.peek_at(0)?;
        let (digits, close) = (self.peek_at(1)?, self.peek_at(2)?);
        let T::Number(period) = &digits.kind else { return None };
        let fits = open.kind == T::Open('(')
            && !open.spaced
            && close.kind == T::Close(')')
            && period.bytes().all(|b| b.is_ascii_digit());
        // Behind a bare point nothing else can be meant: `0.(3) m`.
        let multiplied = !before.ends_with('.')
            && self.peek_at(3).is_some_and(|t| {
                begins_value(&t.kind) || matches!(t.kind, T::Power | T::Superscript(_))
            });
        (fits && !multiplied).then_some((period.as_str(), close.span))
    }
}
