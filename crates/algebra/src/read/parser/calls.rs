//! Functions, roots and LaTeX commands, with what they take.

use super::super::error::{ReadError, ReadErrorKind};
use super::super::token::{Token, TokenKind as T};
use super::{POSTFIX, POWER, PRODUCT, Parsed, Parser, begins_value};
use crate::budget;
use crate::expr::{Expr, ExprKind, Function, Span};
use num_traits::ToPrimitive;

impl Parser<'_> {
    /// Expressions in brackets, parted by commas.
    pub(super) fn arguments(&mut self) -> Result<(Vec<Expr>, Span), ReadError> {
        let Some(Token { kind: T::Open(sign), span: open, .. }) = self.advance() else {
            self.at -= 1;
            return Err(self.unexpected());
        };
        let closing = if *sign == '(' {
            ')'
        } else if *sign == '[' {
            ']'
        } else {
            '}'
        };
        let bars = std::mem::take(&mut self.bars);
        let mut found = vec![self.expression()?];
        while self.eat(&T::Comma).is_some() {
            self.count(*open)?;
            found.push(self.expression()?);
        }
        self.bars = bars;
        self.close(*sign, closing, *open)?;
        Ok((found, open.join(self.tokens[self.at - 1].span)))
    }

    /// What a root stands over: the bracket that follows, or a bare value with its power.
    pub(super) fn radicand(&mut self, sign: &Token) -> Parsed {
        if !matches!(self.peek(), Some(T::Open(_))) {
            return self.operand(sign, POWER);
        }
        self.depth += 1;
        if self.depth > budget::DEPTH {
            return Err(ReadError::new(ReadErrorKind::TooDeep, sign.span));
        }
        let inside = self.prefix()?;
        self.depth -= 1;
        Ok(inside)
    }

    pub(super) fn named(&mut self, name: &str, token: &Token) -> Parsed {
        if name == "root" {
            let (arguments, end) = self.arguments()?;
            let span = token.span.join(end);
            let bad = || ReadError::new(ReadErrorKind::Unexpected("root".into()), span);
            let [index, radicand] = <[Expr; 2]>::try_from(arguments).map_err(|_| bad())?;
            return Ok(root(small_index(&index).ok_or_else(bad)?, radicand, span));
        }
        let inside = self.radicand(token)?;
        let span = token.span;
        Ok(match name {
            "sqrt" => root(2, inside, span),
            "cbrt" => root(3, inside, span),
            _ => {
                let span = span.join(inside.span);
                Expr::at(ExprKind::Absolute(Box::new(inside)), span)
            }
        })
    }

    /// The base of a logarithm. A number is taken by itself: `log_2 1/8` and `log_0.5(8)` have no mixed and no
    /// repeating base.
    fn base(&mut self) -> Parsed {
        let Some(T::Number(digits)) = self.peek() else { return self.binding(POSTFIX) };
        let span = self.tokens[self.at].span;
        let written = crate::number::Written::decimal(digits);
        self.at += 1;
        let bad = || ReadError::new(ReadErrorKind::BadNumber(digits.clone()), span);
        Ok(Expr::at(ExprKind::Number(written.ok_or_else(bad)?), span))
    }

    pub(super) fn call(&mut self, function: Function, token: &Token) -> Parsed {
        let mut base = None;
        let mut power = None;
        loop {
            if self.eat(&T::Underscore).is_some() {
                base = Some(self.base()?);
            } else if let Some(sign) = self.eat(&T::Power) {
                power = Some(self.exponent(sign)?);
            } else if let Some(T::Superscript(n)) = self.peek() {
                self.at += 1;
                power = Some(Expr::int(*n));
            } else {
                break;
            }
        }
        let (mut arguments, end) = if matches!(self.peek(), Some(T::Open(_))) {
            self.arguments()?
        } else {
            let inside = self.bare_argument(token)?;
            let span = inside.span;
            (vec![inside], span)
        };
        // What takes two things takes no fewer, and no more.
        let takes_two = matches!(function, Function::Choose | Function::Arrange | Function::Mod);
        if takes_two && arguments.len() != 2 {
            let kind = ReadErrorKind::Unexpected(token.kind.shown(self.text, token.span));
            return Err(ReadError::new(kind, token.span));
        }
        arguments.extend(base);
        let span = token.span.join(end);
        let inverse = match function {
            Function::Sin => Some(Function::Arcsin),
            Function::Cos => Some(Function::Arccos),
            Function::Tan => Some(Function::Arctan),
            Function::Sec => Some(Function::Arcsec),
            Function::Csc => Some(Function::Arccsc),
            Function::Cot => Some(Function::Arccot),
            _ => None,
        };
        let minus_one = power.as_ref().is_some_and(|p| *p == Expr::int(-1));
        if let (Some(inverse), true) = (inverse, minus_one) {
            return Ok(Expr::at(ExprKind::Call { function: inverse, arguments }, span));
        }
        let called = Expr::at(ExprKind::Call { function, arguments }, span);
        Ok(match power {
            Some(power) => Expr::at(ExprKind::Power(Box::new(called), Box::new(power)), span),
            None => called,
        })
    }

    pub(super) fn bracket_holds_function(&self) -> bool {
        let mut depth = 0usize;
        for token in &self.tokens[self.at..] {
            match token.kind {
                T::Open(_) => depth += 1,
                T::Close(_) => depth = depth.saturating_sub(1),
                T::Function(_) => return true,
                _ => {}
            }
            if depth == 0 {
                return false;
            }
        }
        false
    }

    /// A bare function takes the product that follows, up to a written `×`, `+`, `-`, `/`, another function.
    pub(super) fn bare_argument(&mut self, function: &Token) -> Parsed {
        let mut inside = self.operand(function, PRODUCT + 1)?;
        while let Some(kind) = self.peek() {
            let goes_on = match kind {
                T::Function(_) => false,
                // sin x (2 cos x - 1): a bracket that holds a function is another factor.
                T::Open(_) => !self.bracket_holds_function(),
                T::Bar => self.bars == 0,
                other => begins_value(other),
            };
            if !goes_on {
                break;
            }
            self.count(inside.span)?;
            inside = self.infix(inside, PRODUCT)?;
        }
        Ok(inside)
    }

    pub(super) fn command(&mut self, name: &str, token: &Token) -> Parsed {
        match name {
            "frac" | "dfrac" | "tfrac" => {
                if let Some(found) = self.derivative_fraction(token) {
                    return found;
                }
                let numerator = self.group(token)?;
                let denominator = self.group(token)?;
                let span = token.span.join(denominator.span);
                Ok(Expr::at(ExprKind::Divide(Box::new(numerator), Box::new(denominator)), span))
            }
            "sqrt" => {
                let mut index = 2;
                if self.peek() == Some(&T::Open('[')) {
                    let inside = self.prefix()?;
                    let bad = ReadError::new(ReadErrorKind::Unexpected("[".into()), inside.span);
                    index = small_index(&inside).ok_or(bad)?;
                }
                let radicand = self.group(token)?;
                Ok(root(index, radicand, token.span))
            }
            "binom" | "dbinom" | "tbinom" => {
                let arguments = vec![self.group(token)?, self.group(token)?];
                let span = token.span.join(self.tokens[self.at - 1].span);
                Ok(Expr::at(ExprKind::Call { function: Function::Choose, arguments }, span))
            }
            "placeholder" => Err(ReadError::new(ReadErrorKind::EmptyBox, token.span)),
            _ => self.group(token),
        }
    }

    /// One argument of a LaTeX command: in braces, or a single value.
    pub(super) fn group(&mut self, command: &Token) -> Parsed {
        match self.peek() {
            None => Err(ReadError::new(ReadErrorKind::EmptyBox, command.span)),
            // `\frac12 h` is half an hour.
            Some(T::Number(digits)) => {
                let token = &self.tokens[self.at];
                self.at += 1;
                self.count(token.span)?;
                self.number(digits, token)
            }
            Some(_) => {
                self.depth += 1;
                if self.depth > budget::DEPTH {
                    return Err(ReadError::new(ReadErrorKind::TooDeep, command.span));
                }
                let found = self.prefix()?;
                self.depth -= 1;
                Ok(found)
            }
        }
    }

    /// Whether `(n, k)` follows: two things parted by one comma.
    pub(super) fn two_arguments_follow(&self) -> bool {
        let (mut depth, mut commas) = (0usize, 0);
        for token in &self.tokens[self.at..] {
            match token.kind {
                T::Open(_) => depth += 1,
                T::Close(_) => depth = depth.saturating_sub(1),
                T::Comma if depth == 1 => commas += 1,
                _ => {}
            }
            if depth == 0 {
                return commas == 1;
            }
        }
        false
    }
}

fn small_index(expr: &Expr) -> Option<u32> {
    let value = expr.as_plain_number()?;
    let index = value.is_integer().then(|| value.to_integer())?;
    index.to_u32().filter(|n| (2..=20).contains(n))
}

pub(super) fn root(index: u32, radicand: Expr, start: Span) -> Expr {
    let span = start.join(radicand.span);
    Expr::at(ExprKind::Root { index, radicand: Box::new(radicand) }, span)
}
