//! Builds the tree of one expression by binding strength. `numbers` has what begins with a digit or a
//! currency, `calls` what begins with a function's name or a command.

mod applied;
mod calls;
mod derivatives;
mod numbers;

use super::error::{Expected, ReadError, ReadErrorKind};
use super::token::{Token, TokenKind as T};
use super::{Light, Note};
use crate::budget;
use crate::expr::{Constant, Expr, ExprKind, Function, Span};
use crate::number::{Notation, Written};
use calls::root;
use num_traits::One;

/// Binding strengths, weakest first.
const RATIO: u8 = 5;
const SUM: u8 = 10;
const PRODUCT: u8 = 20;
const POWER: u8 = 40;
const POSTFIX: u8 = 50;

pub(super) struct Parser<'a> {
    text: &'a str,
    tokens: &'a [Token],
    at: usize,
    depth: usize,
    nodes: usize,
    /// How many `|` are open: one more in a place for an operator closes the innermost.
    bars: usize,
    light: &'a Light,
    pub notes: Vec<Note>,
}

type Parsed = Result<Expr, ReadError>;

impl<'a> Parser<'a> {
    pub fn new(text: &'a str, tokens: &'a [Token], light: &'a Light) -> Self {
        Self { text, tokens, at: 0, depth: 0, nodes: 0, bars: 0, light, notes: Vec::new() }
    }

    pub fn peek(&self) -> Option<&'a T> {
        self.tokens.get(self.at).map(|token| &token.kind)
    }

    fn peek_at(&self, ahead: usize) -> Option<&'a Token> {
        self.tokens.get(self.at + ahead)
    }

    pub fn advance(&mut self) -> Option<&'a Token> {
        let token = self.tokens.get(self.at);
        self.at += usize::from(token.is_some());
        token
    }

    fn eat(&mut self, kind: &T) -> Option<&'a Token> {
        if self.peek() == Some(kind) { self.advance() } else { None }
    }

    /// The place right behind the last token.
    fn end(&self) -> Span {
        let end = self.tokens.last().map_or(0, |token| token.span.end);
        Span::new(end, end)
    }

    /// The token that is next cannot stand here.
    pub fn unexpected(&self) -> ReadError {
        match self.tokens.get(self.at) {
            None => ReadError::new(ReadErrorKind::UnexpectedEnd(Expected::Value), self.end()),
            Some(Token { kind: T::Close(sign), span, .. }) => {
                ReadError::new(ReadErrorKind::Unopened(*sign), *span).with_mend(*span, "")
            }
            Some(token) => {
                let shown = token.kind.shown(self.text, token.span);
                ReadError::new(ReadErrorKind::Unexpected(shown), token.span)
            }
        }
    }

    fn count(&mut self, span: Span) -> Result<(), ReadError> {
        self.nodes += 1;
        if self.nodes > budget::NODES {
            return Err(ReadError::new(ReadErrorKind::TooLong, span));
        }
        Ok(())
    }

    /// A whole expression, with its ratio signs.
    pub fn expression(&mut self) -> Parsed {
        self.binding(RATIO)
    }

    fn binding(&mut self, weakest: u8) -> Parsed {
        self.depth += 1;
        let here = self.tokens.get(self.at).map_or(self.end(), |token| token.span);
        if self.depth > budget::DEPTH {
            return Err(ReadError::new(ReadErrorKind::TooDeep, here));
        }
        let mut left = self.prefix()?;
        while let Some(strength) = self.next_strength() {
            if strength < weakest {
                break;
            }
            self.count(left.span)?;
            left = self.infix(left, strength)?;
        }
        self.depth -= 1;
        Ok(left)
    }

    /// How strongly the next token binds to what stands before it; `None` when it does not.
    fn next_strength(&self) -> Option<u8> {
        Some(match self.peek()? {
            T::Colon => RATIO,
            T::Plus | T::Minus | T::PlusMinus | T::MinusPlus => SUM,
            T::Times | T::Over => PRODUCT,
            T::Power | T::Superscript(_) => POWER,
            T::Remainder => RATIO,
            T::Modulo => PRODUCT,
            T::Percent | T::Bang | T::Degree => POSTFIX,
            T::Bar => {
                if self.bars > 0 {
                    return None;
                }
                PRODUCT
            }
            kind if begins_value(kind) => PRODUCT,
            _ => return None,
        })
    }

    fn infix(&mut self, left: Expr, strength: u8) -> Parsed {
        let token = &self.tokens[self.at];
        let start = left.span;
        let boxed = |left| Box::new(left);
        let kind = match &token.kind {
            T::Colon => {
                self.at += 1;
                let next = self.operand(token, RATIO + 1)?;
                match left.kind {
                    ExprKind::Ratio(mut parts) => {
                        parts.push(next);
                        ExprKind::Ratio(parts)
                    }
                    _ => ExprKind::Ratio(vec![left, next]),
                }
            }
            T::Plus => {
                self.at += 1;
                ExprKind::Add(boxed(left), Box::new(self.operand(token, SUM + 1)?))
            }
            T::Minus => {
                self.at += 1;
                ExprKind::Subtract(boxed(left), Box::new(self.operand(token, SUM + 1)?))
            }
            T::PlusMinus | T::MinusPlus => {
                let opposite = token.kind == T::MinusPlus;
                self.at += 1;
                let value = self.operand(token, SUM + 1)?;
                let span = token.span.join(value.span);
                let value = Box::new(value);
                let signed = Expr::at(ExprKind::PlusMinus { opposite, value }, span);
                ExprKind::Add(boxed(left), Box::new(signed))
            }
            T::Times => {
                self.at += 1;
                ExprKind::Multiply(boxed(left), Box::new(self.operand(token, PRODUCT + 1)?))
            }
            T::Over => {
                self.at += 1;
                let mut divisor = self.operand(token, PRODUCT + 1)?;
                if self.is_division_sign(token) {
                    divisor = self.tight_fraction(divisor)?;
                }
                divisor = self.unit_of_rate(divisor, token)?;
                if self.peek().is_some_and(begins_value)
                    && !matches!(left.kind, ExprKind::Power(..))
                {
                    self.notes.push(Note::DividesThenMultiplies(start.join(divisor.span)));
                }
                ExprKind::Divide(boxed(left), Box::new(divisor))
            }
            T::Power => {
                self.at += 1;
                let exponent = self.exponent(token)?;
                self.note_power(&left, &exponent);
                ExprKind::Power(boxed(left), Box::new(exponent))
            }
            T::Superscript(n) => {
                self.at += 1;
                ExprKind::Power(boxed(left), Box::new(Expr::at(Expr::int(*n).kind, token.span)))
            }
            T::Remainder => {
                self.at += 1;
                // Both are whole numbers as written.
                let is_number = |e: &Expr| matches!(&e.kind, ExprKind::Number(n) if *n.notation() == Notation::Integer);
                let remainder = Box::new(self.operand(token, PRODUCT + 1)?);
                if !is_number(&left) || !is_number(&remainder) {
                    let kind = ReadErrorKind::Unexpected(token.kind.shown(self.text, token.span));
                    return Err(ReadError::new(kind, token.span));
                }
                ExprKind::WithRemainder { quotient: boxed(left), remainder }
            }
            T::Modulo => {
                self.at += 1;
                let divisor = self.operand(token, PRODUCT + 1)?;
                ExprKind::Call { function: Function::Mod, arguments: vec![left, divisor] }
            }
            T::Percent => {
                self.at += 1;
                ExprKind::Percent(boxed(left))
            }
            T::Bang => {
                self.at += 1;
                ExprKind::Factorial(boxed(left))
            }
            T::Degree => {
                self.at += 1;
                ExprKind::Degree(boxed(left))
            }
            // Two values side by side multiply.
            _ => ExprKind::Multiply(boxed(left), Box::new(self.binding(strength + 1)?)),
        };
        let end = self.tokens[self.at - 1].span;
        Ok(Expr::at(kind, start.join(end)))
    }

    /// Whether the sign divides what stands around it, and is no slash of a fraction: `÷`.
    fn is_division_sign(&self, token: &Token) -> bool {
        let typed = self.text.get(token.span.start..token.span.end).unwrap_or("");
        matches!(typed, "÷" | "\\div") || typed.starts_with("divided")
    }

    /// `150 km / 60 km/h`: the slash without spaces belongs to the unit.
    fn unit_of_rate(&mut self, quantity: Expr, operator: &Token) -> Parsed {
        let is_quantity = matches!(&quantity.kind, ExprKind::Multiply(_, unit) if matches!(unit.kind, ExprKind::Unit(_)));
        let slash = self.peek_at(0).is_some_and(|t| t.kind == T::Over && !t.spaced);
        let unit = self.peek_at(1).is_some_and(|t| matches!(t.kind, T::Unit(_)) && !t.spaced);
        if !(operator.spaced && is_quantity && slash && unit) {
            return Ok(quantity);
        }
        self.infix(quantity, PRODUCT)
    }

    /// Behind `÷` a slash without spaces makes one fraction: `2/3 ÷ 4/5`.
    fn tight_fraction(&mut self, above: Expr) -> Parsed {
        let slash =
            self.peek_at(0).filter(|t| t.kind == T::Over && !t.spaced && !self.is_division_sign(t));
        let below = self.peek_at(1).is_some_and(|t| !t.spaced);
        let (Some(slash), true) = (slash, below) else { return Ok(above) };
        self.at += 1;
        let below = self.operand(slash, PRODUCT + 1)?;
        let span = above.span.join(below.span);
        self.notes.push(Note::DividesByFraction(span));
        Ok(Expr::at(ExprKind::Divide(Box::new(above), Box::new(below)), span))
    }

    /// Notes where an exponent could be meant to go on: `x^1/2`, `e^2x`, but not `x^2y`.
    fn note_power(&mut self, base: &Expr, exponent: &Expr) {
        let Some(value) = exponent.as_plain_number() else { return };
        let is_letter = matches!(base.kind, ExprKind::Symbol(_));
        let goes_on = match self.peek() {
            Some(T::Over) => value.is_one(),
            Some(T::Letter(_) | T::Pi) => !is_letter,
            _ => false,
        };
        if goes_on {
            self.notes.push(Note::PowerEnds(base.span.join(exponent.span)));
        }
    }

    /// What follows `operator`.
    fn operand(&mut self, operator: &Token, strength: u8) -> Parsed {
        let nothing_follows = match self.peek() {
            None | Some(T::Close(_) | T::Relation(_) | T::Comma | T::Over | T::Times) => true,
            Some(T::Bar) => self.bars > 0 && self.peek_at(1).is_none(),
            _ => false,
        };
        if nothing_follows {
            let sign = operator.kind.shown(self.text, operator.span);
            let kind = ReadErrorKind::MissingOperand { operator: sign, after: true };
            return Err(ReadError::new(kind, operator.span));
        }
        self.binding(strength)
    }

    /// An exponent binds to the right and may begin with a sign: `x^-3`, `2^3^2`.
    fn exponent(&mut self, operator: &Token) -> Parsed {
        if let Some(sign) = self.eat(&T::Minus) {
            let value = self.operand(operator, POWER)?;
            let span = sign.span.join(value.span);
            return Ok(Expr::at(ExprKind::Negative(Box::new(value)), span));
        }
        self.operand(operator, POWER)
    }

    fn prefix(&mut self) -> Parsed {
        let Some(token) = self.advance() else { return Err(self.unexpected()) };
        self.count(token.span)?;
        let span = token.span;
        let kind = match &token.kind {
            T::Number(digits) => {
                let number = self.number(digits, token)?;
                return self.with_unit(number);
            }
            T::VulgarFraction(n, d) => {
                return Ok(Expr::at(
                    Expr::int(i64::from(*n)).over(Expr::int(i64::from(*d))).kind,
                    span,
                ));
            }
            T::Based(digits, base) => match Written::based(digits, *base) {
                Some(written) => ExprKind::Number(written),
                None => {
                    self.at -= 1;
                    return Err(self.unexpected());
                }
            },
            T::Recurring(fixed, period) => match Written::repeating(fixed, period) {
                Some(written) => {
                    self.notes.push(Note::Repeats(span));
                    let number = Expr::at(ExprKind::Number(written), span);
                    return self.with_unit(number);
                }
                None => {
                    self.at -= 1;
                    return Err(self.unexpected());
                }
            },
            T::Made(made) => {
                self.nodes += made.nodes();
                self.count(span)?;
                return Ok((**made).clone());
            }
            T::Name(name) => ExprKind::Symbol(self.subscripted(name)?),
            T::Unit(unit) => return self.unit(*unit, span),
            T::Letter(name) if name == "C" && self.two_arguments_follow() => {
                return self.call(Function::Choose, token);
            }
            T::Pi => ExprKind::Constant(Constant::Pi),
            T::Euler => ExprKind::Constant(Constant::Euler),
            T::Letter(name) if name == "d" && self.begins_derivative() => {
                match self.derivative(token) {
                    Some(found) => return found,
                    None => ExprKind::Symbol(self.subscripted(name)?),
                }
            }
            T::Letter(name) if self.is_applied(name) => return self.applied(name, token),
            T::Letter(name) if self.light.is_sequence(name) && self.digits_touch() => {
                let Some(T::Number(index)) = self.advance().map(|token| &token.kind) else {
                    return Err(self.unexpected());
                };
                ExprKind::Symbol(format!("{name}_{index}"))
            }
            T::Letter(name) => {
                self.no_flat_power(name, token)?;
                ExprKind::Symbol(self.subscripted(name)?)
            }
            T::Minus => {
                let value = self.operand(token, PRODUCT)?;
                return Ok(Expr::at(
                    ExprKind::Negative(Box::new(value.clone())),
                    span.join(value.span),
                ));
            }
            T::Plus => return self.operand(token, PRODUCT),
            T::PlusMinus | T::MinusPlus => {
                let opposite = token.kind == T::MinusPlus;
                let value = Box::new(self.operand(token, PRODUCT)?);
                let span = span.join(value.span);
                return Ok(Expr::at(ExprKind::PlusMinus { opposite, value }, span));
            }
            T::Open('(') if self.is_composition() => return self.composed(token),
            T::Open(sign) => return self.bracket(*sign, span),
            T::Bar => return self.absolute(span),
            T::Root(index) => {
                let radicand = self.radicand(token)?;
                return Ok(root(*index, radicand, span));
            }
            // A small raised number before a root sign is its index: ³√8.
            T::Superscript(index @ 2..=100) if matches!(self.peek(), Some(T::Root(2))) => {
                self.at += 1;
                let radicand = self.radicand(token)?;
                return Ok(root(u32::try_from(*index).unwrap_or(2), radicand, span));
            }
            T::Named(name) => return self.named(name, token),
            T::Function(function) => return self.call(*function, token),
            T::Command(name) => return self.command(name, token),
            _ => {
                self.at -= 1;
                let operator = matches!(
                    token.kind,
                    T::Times | T::Over | T::Power | T::Relation(_) | T::Percent | T::Bang
                );
                if operator {
                    let sign = token.kind.shown(self.text, span);
                    let kind = ReadErrorKind::MissingOperand { operator: sign, after: false };
                    return Err(ReadError::new(kind, span));
                }
                return Err(self.unexpected());
            }
        };
        let end = self.tokens[self.at - 1].span;
        Ok(Expr::at(kind, span.join(end)))
    }

    /// `_1`, `_n`, `_{12}`, `_{n+1}` behind a letter.
    fn subscripted(&mut self, letter: &str) -> Result<String, ReadError> {
        if self.eat(&T::Underscore).is_none() {
            return Ok(letter.to_owned());
        }
        let braced = self.eat(&T::Open('{')).is_some();
        let mut mark = String::new();
        let mut closed = !braced;
        while let Some(token) = self.advance() {
            match &token.kind {
                // `v_{a b}` would be written as `v_{ab}`, which may be a word.
                T::Number(_) | T::Letter(_) if token.spaced && !mark.is_empty() => {
                    self.at -= 1;
                    return Err(self.unexpected());
                }
                T::Number(part) | T::Letter(part) => mark.push_str(part),
                T::Plus if braced && !mark.is_empty() => mark.push('+'),
                T::Minus if braced && !mark.is_empty() => mark.push('-'),
                T::Close('}') if braced && !mark.ends_with(['+', '-']) => {
                    closed = true;
                    break;
                }
                _ => {
                    self.at -= 1;
                    return Err(self.unexpected());
                }
            }
            if !braced {
                break;
            }
        }
        if mark.is_empty() || mark.len() > 12 || !closed {
            return Err(self.unexpected());
        }
        Ok(format!("{letter}_{mark}"))
    }

    fn bracket(&mut self, sign: char, open: Span) -> Parsed {
        let closing = match sign {
            '(' => ')',
            '[' => ']',
            _ => '}',
        };
        if self.peek() == Some(&T::Close(closing)) {
            let span = open.join(self.tokens[self.at].span);
            return Err(ReadError::new(ReadErrorKind::EmptyBox, span));
        }
        let bars = std::mem::take(&mut self.bars);
        let mut inside = self.expression()?;
        if sign == '(' && self.peek() == Some(&T::Comma) {
            // `(2, 3)`: entries, put together when the line is read to its end.
            let mut arguments = vec![inside];
            while self.eat(&T::Comma).is_some() {
                self.count(open)?;
                arguments.push(self.expression()?);
            }
            inside = ExprKind::Apply { name: String::new(), arguments }.into();
        }
        self.bars = bars;
        self.close(sign, closing, open)?;
        let end = self.tokens[self.at - 1].span;
        Ok(Expr::at(inside.kind, open.join(end)))
    }

    fn close(&mut self, sign: char, closing: char, open: Span) -> Result<(), ReadError> {
        match self.tokens.get(self.at) {
            Some(Token { kind: T::Close(found), .. }) if *found == closing => {
                self.at += 1;
                Ok(())
            }
            Some(Token { kind: T::Close(found), span, .. }) => {
                let error = ReadError::new(ReadErrorKind::Unopened(*found), *span);
                Err(error.with_mend(*span, closing.to_string()))
            }
            Some(Token { kind: T::Relation(_) | T::Comma, span, .. }) => {
                let at = Span::new(self.tokens[self.at - 1].span.end, span.start.max(1));
                let at = Span::new(at.start, at.start);
                Err(ReadError::new(ReadErrorKind::Unclosed(sign), open)
                    .with_mend(at, closing.to_string()))
            }
            Some(_) => Err(self.unexpected()),
            None => Err(ReadError::new(ReadErrorKind::Unclosed(sign), open)
                .with_mend(self.end(), closing.to_string())),
        }
    }

    fn absolute(&mut self, open: Span) -> Parsed {
        self.bars += 1;
        let inside = self.expression()?;
        self.bars -= 1;
        match self.eat(&T::Bar) {
            Some(close) => {
                Ok(Expr::at(ExprKind::Absolute(Box::new(inside)), open.join(close.span)))
            }
            None => {
                Err(ReadError::new(ReadErrorKind::Unclosed('|'), open).with_mend(self.end(), "|"))
            }
        }
    }
}

/// Whether a token can begin a value, so that two values stand side by side. A sign cannot.
fn begins_value(kind: &T) -> bool {
    matches!(
        kind,
        T::Number(_)
            | T::VulgarFraction(..)
            | T::Recurring(..)
            | T::Name(_)
            | T::Made(_)
            | T::Letter(_)
            | T::Function(_)
            | T::Named(_)
            | T::Euler
            | T::Pi
            | T::Open(_)
            | T::Root(_)
            | T::Command(_)
            | T::Based(..)
            | T::Unit(_)
    )
}
