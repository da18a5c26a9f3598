//! Builds the tree of one expression by binding strength.

use super::Note;
use super::error::{Expected, ReadError, ReadErrorKind};
use super::token::{Token, TokenKind as T};
use crate::budget;
use crate::expr::{Constant, Expr, ExprKind, Function, Span};
use crate::number::Written;
use crate::unit::Unit;
use num_bigint::BigInt;

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
    pub notes: Vec<Note>,
}

type Parsed = Result<Expr, ReadError>;

impl<'a> Parser<'a> {
    pub fn new(text: &'a str, tokens: &'a [Token]) -> Self {
        Self { text, tokens, at: 0, depth: 0, nodes: 0, bars: 0, notes: Vec::new() }
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
                let divisor = self.operand(token, PRODUCT + 1)?;
                if self.peek().is_some_and(begins_value)
                    && !matches!(left.kind, ExprKind::Power(..))
                {
                    self.notes.push(Note::DividesThenMultiplies(start.join(divisor.span)));
                }
                ExprKind::Divide(boxed(left), Box::new(divisor))
            }
            T::Power => {
                self.at += 1;
                ExprKind::Power(boxed(left), Box::new(self.exponent(token)?))
            }
            T::Superscript(n) => {
                self.at += 1;
                ExprKind::Power(boxed(left), Box::new(Expr::at(Expr::int(*n).kind, token.span)))
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
            T::Unit(unit) => return self.unit(*unit, span),
            T::Letter(name) if name == "C" && self.two_arguments_follow() => {
                return self.call(Function::Choose, token);
            }
            T::Pi => ExprKind::Constant(Constant::Pi),
            T::Euler => ExprKind::Constant(Constant::Euler),
            T::Letter(name) => ExprKind::Symbol(self.subscripted(name)?),
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

    /// A number, and what may stand right behind it: a fraction (a mixed number), an exponent of ten,
    /// a period.
    fn number(&mut self, digits: &str, token: &Token) -> Parsed {
        let bad = |span: Span| {
            let shown = self.text.get(span.start..span.end).unwrap_or(digits).to_owned();
            ReadError::new(ReadErrorKind::BadNumber(shown), span)
        };
        let mut span = token.span;
        let is_whole = !digits.contains('.');
        let found = if let Some((n, d, used, end)) = self.fraction_part().filter(|_| is_whole) {
            span = span.join(end);
            self.at += used;
            let whole: Option<BigInt> = digits.parse().ok();
            whole.and_then(|whole| Written::mixed(whole, n, d))
        } else if let Some((exponent, used, end)) = self.power_of_ten() {
            span = span.join(end);
            self.at += used;
            Written::scientific(digits, exponent)
        } else if let Some((period, end)) = self.period().filter(|_| !is_whole) {
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

    /// Whether `(n, k)` follows: two things parted by one comma.
    fn two_arguments_follow(&self) -> bool {
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

    /// A unit by itself, or the sign of a currency with the number behind it.
    fn unit(&mut self, unit: Unit, span: Span) -> Parsed {
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

    /// The unit behind a number, and the smaller ones that go with it: `2 h 15 min`.
    fn with_unit(&mut self, number: Expr) -> Parsed {
        // `1/2 h` is half an hour: the unit belongs to the fraction.
        let before = |back: usize| self.at.checked_sub(back).and_then(|at| self.tokens.get(at));
        let under = before(2).is_some_and(|t| t.kind == T::Over && !t.spaced)
            && before(1).is_some_and(|t| !t.spaced)
            && before(3).is_some_and(|t| matches!(t.kind, T::Number(_)));
        let (Some(T::Unit(unit)), false) = (self.peek(), under) else { return Ok(number) };
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
    fn one_quantity(&mut self, number: Expr, unit: Unit) -> Parsed {
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

    fn whole_at(&self, ahead: usize) -> Option<(&'a Token, BigInt)> {
        let token = self.peek_at(ahead)?;
        match &token.kind {
            T::Number(digits) => Some((token, digits.parse().ok()?)),
            _ => None,
        }
    }

    /// `1/2` after a space, `½`, or `\frac{1}{2}`: the numerator, the denominator, tokens, the end.
    fn fraction_part(&self) -> Option<(BigInt, BigInt, usize, Span)> {
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
                let braced = |at: usize| -> Option<(BigInt, usize)> {
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
    fn power_of_ten(&self) -> Option<(i32, usize, Span)> {
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
    fn period(&self) -> Option<(&'a str, Span)> {
        let open = self.peek_at(0)?;
        let (digits, close) = (self.peek_at(1)?, self.peek_at(2)?);
        let T::Number(period) = &digits.kind else { return None };
        let fits = open.kind == T::Open('(')
            && !open.spaced
            && close.kind == T::Close(')')
            && period.bytes().all(|b| b.is_ascii_digit());
        let multiplied = self.peek_at(3).is_some_and(|t| {
            begins_value(&t.kind) || matches!(t.kind, T::Power | T::Superscript(_))
        });
        (fits && !multiplied).then_some((period.as_str(), close.span))
    }

    /// `_1`, `_n`, `_{12}` behind a letter.
    fn subscripted(&mut self, letter: &str) -> Result<String, ReadError> {
        if self.eat(&T::Underscore).is_none() {
            return Ok(letter.to_owned());
        }
        let braced = self.eat(&T::Open('{')).is_some();
        let mut mark = String::new();
        while let Some(token) = self.advance() {
            match &token.kind {
                T::Number(part) | T::Letter(part) => mark.push_str(part),
                T::Close('}') if braced => break,
                _ => {
                    self.at -= 1;
                    return Err(self.unexpected());
                }
            }
            if !braced {
                break;
            }
        }
        if mark.is_empty() || mark.len() > 12 {
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
        let inside = self.expression()?;
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

    /// Expressions in brackets, parted by commas.
    fn arguments(&mut self) -> Result<(Vec<Expr>, Span), ReadError> {
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
    fn radicand(&mut self, sign: &Token) -> Parsed {
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

    fn named(&mut self, name: &str, token: &Token) -> Parsed {
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

    fn call(&mut self, function: Function, token: &Token) -> Parsed {
        let mut base = None;
        let mut power = None;
        loop {
            if self.eat(&T::Underscore).is_some() {
                base = Some(self.binding(POSTFIX)?);
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

    /// A bare function takes the product that follows, up to `+`, `-`, `/`, another function.
    fn is_function(&self, ahead: usize) -> bool {
        self.peek_at(ahead).is_some_and(|token| matches!(token.kind, T::Function(_)))
    }

    fn bracket_holds_function(&self) -> bool {
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

    fn bare_argument(&mut self, function: &Token) -> Parsed {
        let mut inside = self.operand(function, PRODUCT + 1)?;
        while let Some(kind) = self.peek() {
            let goes_on = match kind {
                T::Times => !self.is_function(1),
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

    fn command(&mut self, name: &str, token: &Token) -> Parsed {
        match name {
            "frac" | "dfrac" | "tfrac" => {
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
    fn group(&mut self, command: &Token) -> Parsed {
        match self.peek() {
            None => Err(ReadError::new(ReadErrorKind::EmptyBox, command.span)),
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
}

fn small_index(expr: &Expr) -> Option<u32> {
    let value = expr.as_plain_number()?;
    let index = value.is_integer().then(|| value.to_integer())?;
    u32::try_from(&index).ok().filter(|n| (2..=20).contains(n))
}

fn root(index: u32, radicand: Expr, start: Span) -> Expr {
    let span = start.join(radicand.span);
    Expr::at(ExprKind::Root { index, radicand: Box::new(radicand) }, span)
}

/// Whether a token can begin a value, so that two values stand side by side. A sign cannot.
fn begins_value(kind: &T) -> bool {
    matches!(
        kind,
        T::Number(_)
            | T::VulgarFraction(..)
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
