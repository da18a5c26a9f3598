//! Plain text, as it could be typed; it reads back to the same tree.

use super::{
    Strength, answer, is_condition, is_quantity, makes_a_word, may_touch, rounding_note, strength,
    unit_before,
};
use crate::expr::{Constant, Expr, ExprKind};
use crate::line::{Line, Piece};
use crate::number::Notation;
use crate::{Options, read_line_with};

/// The expression in plain text.
#[must_use]
pub fn text(expr: &Expr) -> String {
    Writing::of(expr, Manner { units: has_units(expr), careful: false })
}

/// Whether letters behind a number may be read as units.
fn has_units(expr: &Expr) -> bool {
    expr.any(&mut |part| matches!(part.kind, ExprKind::Unit(_)))
}

/// The line in plain text, as a person writes it; where that would be read as something else, with every sign and
/// bracket. A sentence has no text of its own: the caller has the words.
#[must_use]
pub fn text_line(line: &Line) -> String {
    let units = line.expressions().iter().any(|side| has_units(side));
    let usual = rounded(line, Manner { units, careful: false });
    if matches!(line, Line::Sentence(_)) || reads_as(&usual, line, units) {
        return usual;
    }
    let careful = rounded(line, Manner { units, careful: true });
    if reads_as(&careful, line, units) { careful } else { usual }
}

/// Whether `text` is read as `line`. Units are known here; alone a line tells them where they can be little else.
fn reads_as(text: &str, line: &Line, units: bool) -> bool {
    let options = Options { quantities: units, ..Options::default() };
    read_line_with(text, options).is_ok_and(|reading| reading.line == *line)
}

/// The line with the note of how far it is rounded.
fn rounded(line: &Line, manner: Manner) -> String {
    let written = unrounded(line, manner);
    match rounding_note(line) {
        Some(note) => format!("{written} ({note})"),
        None => written,
    }
}

fn unrounded(line: &Line, manner: Manner) -> String {
    let text = |expr: &Expr| Writing::of(expr, manner);
    let text_line = |line: &Line| rounded(line, manner);
    match line {
        Line::AnyOf(lines) if answer(lines).is_some() => {
            format!("answer: {}", text_line(&lines[0]))
        }
        Line::Expression(expr) => text(expr),
        Line::Relations { sides, relations } => {
            // `e = 5` says what a letter e is.
            let is_e = matches!(sides[0].kind, ExprKind::Constant(Constant::Euler));
            let mut out = if is_e { "(e)".to_owned() } else { text(&sides[0]) };
            for (relation, side) in relations.iter().zip(&sides[1..]) {
                out.push_str(&format!(" {} {}", relation.sign(), text(side)));
            }
            out
        }
        Line::AnyOf(lines) => lines.iter().map(text_line).collect::<Vec<_>>().join(" or "),
        Line::AllOf(lines) => {
            let is_condition = is_condition(lines);
            let lines: Vec<String> = lines.iter().map(text_line).collect();
            // `7 and 1/2` is a mixed number.
            let is_mixed = |pair: &[String]| {
                let digits = pair[1].bytes().take_while(u8::is_ascii_digit).count();
                pair[0].ends_with(|c: char| c.is_ascii_digit())
                    && digits > 0
                    && pair[1][digits..].starts_with('/')
            };
            let parted = is_condition && !lines.windows(2).any(is_mixed);
            lines.join(if parted { " and " } else { "; " })
        }
        Line::Definition { letter, value } => format!("let {letter} = {}", text(value)),
        Line::Rounded(value) => format!("≈ {}", text(value)),
        Line::Point(values) => {
            format!("({})", values.iter().map(text).collect::<Vec<_>>().join(", "))
        }
        Line::Set(pieces) => {
            let one = |piece: &Piece| {
                let end = |end: &Option<(Expr, bool)>, far: &str| {
                    end.as_ref().map_or_else(|| far.to_owned(), |(value, _)| text(value))
                };
                let (open, close) = piece.brackets();
                format!("{open}{}, {}{close}", end(&piece.low, "-∞"), end(&piece.high, "∞"))
            };
            pieces.iter().map(one).collect::<Vec<_>>().join(" ∪ ")
        }
        Line::NoSolution => "no solution".into(),
        Line::AllReals => "all real numbers".into(),
        Line::Sentence(_) => String::new(),
    }
}

/// How a line is written.
#[derive(Debug, Clone, Copy)]
struct Manner {
    /// Whether the line has units: then letters side by side stand apart.
    units: bool,
    /// Whether every product shows its sign, and all that is not one sign or number stands in brackets.
    careful: bool,
}

/// What has been written.
struct Writing {
    out: String,
    manner: Manner,
}

impl Writing {
    fn of(expr: &Expr, manner: Manner) -> String {
        let mut writing = Self { out: String::new(), manner };
        writing.write(expr);
        writing.out
    }

    /// `expr` in brackets unless it holds together at least as strongly as `least`.
    fn held(&mut self, expr: &Expr, least: Strength) {
        let least = if self.manner.careful { Strength::Value } else { least };
        if strength(expr) >= least {
            self.write(expr);
        } else {
            self.out.push('(');
            self.write(expr);
            self.out.push(')');
        }
    }

    fn write(&mut self, expr: &Expr) {
        match &expr.kind {
            ExprKind::Number(written) => self.out.push_str(&written.text()),
            ExprKind::Symbol(name) => match name.split_once('_') {
                // Letters behind the digits of a subscript would be letters of their own.
                Some((base, mark)) if is_mixed(mark) => {
                    self.out.push_str(&format!("{base}_{{{mark}}}"));
                }
                _ => self.out.push_str(name),
            },
            ExprKind::Constant(Constant::Pi) => self.out.push('π'),
            ExprKind::Unit(unit) => self.out.push_str(unit.symbol()),
            ExprKind::Multiply(a, b) if unit_before(a, b).is_some() => {
                self.out.push_str(unit_before(a, b).unwrap_or(""));
                self.write(a);
            }
            ExprKind::Multiply(a, b) if is_quantity(a, b) => {
                // Of a quotient that is no plain fraction the unit would be read as a part.
                let apart = matches!(a.kind, ExprKind::Divide(..)) && a.as_plain_number().is_none();
                self.held(a, if apart { Strength::Value } else { Strength::Product });
                self.out.push(' ');
                self.held(b, Strength::Power);
            }
            ExprKind::Constant(Constant::Euler) => self.out.push('e'),
            ExprKind::Negative(a) => {
                self.out.push('-');
                self.held(a, Strength::Product);
            }
            ExprKind::PlusMinus { opposite, value } => {
                self.out.push(if *opposite { '∓' } else { '±' });
                self.held(value, Strength::Product);
            }
            ExprKind::Add(a, b) => {
                self.held(a, Strength::Sum);
                if let ExprKind::PlusMinus { opposite, value } = &b.kind {
                    self.out.push_str(if *opposite { " ∓ " } else { " ± " });
                    self.held(value, Strength::Product);
                } else {
                    self.out.push_str(" + ");
                    self.held(b, Strength::Product);
                }
            }
            ExprKind::Subtract(a, b) => {
                self.held(a, Strength::Sum);
                self.out.push_str(" - ");
                self.held(b, Strength::Product);
            }
            ExprKind::Multiply(a, b) => {
                self.held(a, Strength::Product);
                let mut next = Self { out: String::new(), manner: self.manner };
                next.held(b, Strength::Function);
                if self.manner.careful || !may_touch(a, b) || self.stands_apart(&next.out) {
                    self.out.push_str(" × ");
                } else if self.may_apply(a, &next.out) || makes_a_word(&self.out, &next.out) {
                    self.out.push(' ');
                }
                self.out.push_str(&next.out);
            }
            ExprKind::Divide(a, b) => {
                self.held(a, Strength::Product);
                self.out.push('/');
                self.held(b, Strength::Function);
            }
            ExprKind::Power(a, b) => {
                self.held(a, Strength::Value);
                self.out.push('^');
                self.held(b, Strength::Value);
            }
            ExprKind::Root { index, radicand } => {
                match index {
                    2 => self.out.push_str("√("),
                    3 => self.out.push_str("∛("),
                    n => self.out.push_str(&format!("root({n}, ")),
                }
                self.write(radicand);
                self.out.push(')');
            }
            ExprKind::Absolute(a) => {
                self.out.push_str("abs(");
                self.write(a);
                self.out.push(')');
            }
            ExprKind::Percent(a) => {
                self.held(a, Strength::Value);
                self.out.push('%');
            }
            ExprKind::Factorial(a) => {
                self.held(a, Strength::Value);
                self.out.push('!');
            }
            ExprKind::Degree(a) => {
                self.held(a, Strength::Value);
                self.out.push('°');
            }
            ExprKind::Ratio(parts) => {
                for (index, part) in parts.iter().enumerate() {
                    self.out.push_str(if index == 0 { "" } else { ":" });
                    self.held(part, Strength::Product);
                }
            }
            ExprKind::Apply { name, arguments } => {
                self.out.push_str(name);
                self.out.push('(');
                for (index, argument) in arguments.iter().enumerate() {
                    self.out.push_str(if index == 0 { "" } else { ", " });
                    self.write(argument);
                }
                self.out.push(')');
            }
            ExprKind::WithRemainder { quotient, remainder } => {
                self.held(quotient, Strength::Value);
                self.out.push_str(" r ");
                self.held(remainder, Strength::Value);
            }
            ExprKind::Call { function, arguments } => {
                self.out.push_str(function.name());
                let mut shown = &arguments[..];
                if let (crate::expr::Function::Log, [_, base]) = (function, shown) {
                    self.out.push('_');
                    // Behind the sign a number stands by itself: nothing that follows belongs to it.
                    if is_plain(base) {
                        self.write(base);
                    } else {
                        self.out.push('(');
                        self.write(base);
                        self.out.push(')');
                    }
                    shown = &arguments[..1];
                }
                self.out.push('(');
                for (index, argument) in shown.iter().enumerate() {
                    self.out.push_str(if index == 0 { "" } else { ", " });
                    self.write(argument);
                }
                self.out.push(')');
            }
        }
    }

    /// Whether a product has to show its sign here: `80 × m` is no length, `x' × x` no derivative at x.
    fn stands_apart(&self, next: &str) -> bool {
        let is_letter = |c: char| c.is_alphabetic() && c != 'π';
        let bracket = next.starts_with('(') && self.out.ends_with(is_letter);
        // `0xF` is a numeral.
        let is_number = |c: char| c.is_ascii_digit() || c == '.';
        let is_hexadecimal = next.starts_with('x')
            && self.out.strip_suffix('0').is_some_and(|before| !before.ends_with(is_number));
        self.out.ends_with('\'')
            || is_hexadecimal
            || self.manner.units && (bracket || next.starts_with(is_letter))
    }

    /// Whether a letter before a bracket has to stand off it: `g (x + 1)` is no value of g, `f^(-1) (x + 1)` none of its
    /// inverse.
    fn may_apply(&self, left: &Expr, next: &str) -> bool {
        let last = match &left.kind {
            ExprKind::Multiply(_, last) => last,
            _ => left,
        };
        let is_power = matches!(&last.kind, ExprKind::Power(base, _) if is_function_letter(base));
        next.starts_with('(') && (is_power || self.out.ends_with(crate::read::may_be_function))
    }
}

/// A whole or decimal number, or a letter.
fn is_plain(expr: &Expr) -> bool {
    match &expr.kind {
        ExprKind::Number(written) => {
            matches!(written.notation(), Notation::Integer | Notation::Decimal { .. })
        }
        ExprKind::Symbol(_) => !is_function_letter(expr),
        _ => false,
    }
}

/// Whether it is a letter that may be a function of what stands in brackets behind it.
fn is_function_letter(expr: &Expr) -> bool {
    matches!(&expr.kind, ExprKind::Symbol(name) if name.chars().eq(name.chars().filter(|c| crate::read::may_be_function(*c))))
}

/// Digits and letters in one subscript, several letters, or a sum: `a_{n+1}`.
fn is_mixed(mark: &str) -> bool {
    let letters = mark.chars().filter(|c| c.is_alphabetic()).count();
    mark.contains(['+', '-'])
        || letters > 1
        || letters > 0 && mark.chars().any(|c| c.is_ascii_digit())
}
