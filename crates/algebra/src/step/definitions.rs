//! What a line above defines is put into the line below: `f(x) = 2x + 1` makes `f(3) = 7` true, `a_n = 3n + 2`
//! makes `a_5 = 17` true, and `x = 3` makes `y = 2x + 1` say `y = 7`.

use super::{compare_given, judge_alone_given};
use crate::derivative::derivative;
use crate::expr::{Expr, ExprKind};
use crate::line::{Line, Relation};
use crate::number::from_int;
use crate::verdict::{Difference, Setting, StepVerdict};
use num_traits::ToPrimitive;
use std::collections::BTreeMap;

/// Most terms that a recurrence is followed through.
const TERMS: i64 = 200;
/// How deep definitions may stand in each other: `fg(x)` is two.
const DEPTH: usize = 6;

/// What a line defines.
#[derive(Default)]
struct Definitions {
    /// Functions and sequences, each with its letter and its body.
    bodies: BTreeMap<String, (String, Expr)>,
    /// First terms of sequences, by name and index.
    terms: BTreeMap<(String, i64), Expr>,
    /// `a_{n+1} = …`: the letter, and what the next term is of `a_n`.
    next: BTreeMap<String, (String, Expr)>,
}

/// Compares a line with one above it that defines what it uses; `None` when that defines nothing of it.
pub(super) fn compare(from: &Line, to: &Line, setting: &Setting) -> Option<StepVerdict> {
    let parts = match from {
        Line::AllOf(lines) => &lines[..],
        single => std::slice::from_ref(single),
    };
    if let Some(found) = slope(parts, to, setting) {
        return Some(found);
    }
    let mut known = Definitions::default();
    let mut rest = Vec::new();
    for part in parts {
        if !known.learn(part) {
            rest.push(part);
        }
    }
    if known.is_empty() {
        return None;
    }
    if parts.contains(to) {
        return Some(StepVerdict::Equivalent { provided: Vec::new() });
    }
    if let Some(found) = known.inverse(to, setting) {
        return Some(found);
    }
    let put = to.map(&mut |expr| known.put_into(expr, DEPTH));
    match (&rest[..], to) {
        ([only @ Line::Expression(_)], _) => {
            let start = only.map(&mut |expr| known.put_into(expr, DEPTH));
            (start != **only).then(|| compare_given(&start, &put, setting))
        }
        ([], Line::Relations { .. }) if put != *to => {
            // `f(x) = 7` asks for an x: it follows from no definition.
            let found = judge_alone_given(&put, setting);
            let asks = matches!(found, StepVerdict::NotEquivalent(_)) && asks_for_letter(to);
            Some(if asks { StepVerdict::Undecided } else { found })
        }
        _ => None,
    }
}

/// `y = x³`, and below it `dy/dx = 3x²`.
fn slope(parts: &[Line], to: &Line, setting: &Setting) -> Option<StepVerdict> {
    let name =
        to.symbols().into_iter().find(|name| name.starts_with('d') && name.contains("/d"))?;
    let (of, by) = name.strip_prefix('d')?.split_once("/d")?;
    let body = parts.iter().find_map(|part| {
        let (left, right) = part.as_equation()?;
        (*left == Expr::symbol(of) && !right.symbols().contains(of)).then_some(right)
    })?;
    let put = to.with(&name, &derivative(body, by)?);
    Some(judge_alone_given(&put, setting))
}

/// `f(x) = 7`: a function of a letter alone, and a number.
fn asks_for_letter(line: &Line) -> bool {
    line.as_equation().is_some_and(|(left, right)| {
        let of_letter = matches!(&left.kind, ExprKind::Apply { arguments, .. }
            if arguments.iter().all(|a| matches!(a.kind, ExprKind::Symbol(_))));
        of_letter && right.symbols().is_empty()
    })
}

impl Definitions {
    fn is_empty(&self) -> bool {
        self.bodies.is_empty() && self.next.is_empty()
    }

    /// Takes what a line defines; whether it defines anything.
    fn learn(&mut self, line: &Line) -> bool {
        let Some((left, right)) = line.as_equation() else { return false };
        match &left.kind {
            ExprKind::Apply { name, arguments } => {
                let [Expr { kind: ExprKind::Symbol(letter), .. }] = &arguments[..] else {
                    return false;
                };
                let is_plain = name.chars().count() == 1;
                if is_plain && !applies(right, name) {
                    self.bodies.insert(name.clone(), (letter.clone(), right.clone()));
                    return true;
                }
                false
            }
            ExprKind::Symbol(name) => self.learn_sequence(name, right),
            _ => false,
        }
    }

    /// `a_n = …`, `a_{n+1} = …`, `a_1 = 5`
    fn learn_sequence(&mut self, name: &str, right: &Expr) -> bool {
        let Some((base, mark)) = name.split_once('_') else { return false };
        if let Ok(index) = mark.parse::<i64>() {
            self.terms.insert((base.to_owned(), index), right.clone());
            return true;
        }
        let letter = |text: &str| {
            let mut signs = text.chars();
            signs
                .next()
                .filter(|c| c.is_ascii_lowercase() && signs.next().is_none())
                .map(String::from)
        };
        if let Some(letter) = letter(mark) {
            let stands = right.symbols().iter().all(|symbol| *symbol == letter);
            if stands {
                self.bodies.insert(format!("{base}_"), (letter, right.clone()));
            }
            return stands;
        }
        let Some(letter) = mark.strip_suffix("+1").and_then(letter) else { return false };
        let previous = format!("{base}_{letter}");
        let stands = right.symbols().iter().all(|symbol| *symbol == previous || *symbol == letter);
        if stands {
            self.next.insert(base.to_owned(), (letter, right.clone()));
        }
        stands
    }

    /// The expression with what is defined put into it.
    fn put_into(&self, expr: &Expr, depth: usize) -> Expr {
        if depth == 0 {
            return expr.clone();
        }
        expr.map(&mut |part| match &part.kind {
            ExprKind::Apply { name, arguments } => {
                let [argument] = &arguments[..] else { return part };
                let value = match name.strip_suffix('\'') {
                    Some(base) => self.bodies.get(base).and_then(|(letter, body)| {
                        Some(derivative(body, letter)?.with(letter, argument))
                    }),
                    None => self.bodies.get(name).map(|(letter, body)| body.with(letter, argument)),
                };
                value.map_or(part, |value| self.put_into(&value, depth - 1))
            }
            ExprKind::Symbol(name) => self.term(name).unwrap_or(part),
            _ => part,
        })
    }

    /// The term of a sequence that a symbol with an index names.
    fn term(&self, name: &str) -> Option<Expr> {
        let (base, mark) = name.split_once('_')?;
        let index: i64 = mark.parse().ok()?;
        if let Some((letter, body)) = self.bodies.get(&format!("{base}_")) {
            return Some(body.with(letter, &Expr::int(index)));
        }
        if let Some(told) = self.terms.get(&(base.to_owned(), index)) {
            return Some(told.clone());
        }
        let (letter, body) = self.next.get(base)?;
        let (_, first) = self.terms.keys().find(|(name, _)| name == base)?;
        if index < *first || index - first > TERMS {
            return None;
        }
        let previous = format!("{base}_{letter}");
        let mut value = self.terms.get(&(base.to_owned(), *first))?.clone();
        for at in *first..index {
            let next = body.with(&previous, &value).with(letter, &Expr::int(at));
            // Each term is worked out before the next, so that they do not grow in writing.
            value = Expr::rational(&super::exact_value(&next)?);
        }
        Some(value)
    }

    /// `f^-1(x) = …` where `f` is defined: the same as that `f` of it is x.
    fn inverse(&self, to: &Line, setting: &Setting) -> Option<StepVerdict> {
        let (left, right) = to.as_equation()?;
        let ExprKind::Apply { name, arguments } = &left.kind else { return None };
        let [argument] = &arguments[..] else { return None };
        let (letter, body) = self.bodies.get(name.strip_suffix("^-1")?)?;
        let fresh = ["y", "w", "v"].into_iter().find(|fresh| {
            !argument.symbols().contains(*fresh) && !right.symbols().contains(*fresh)
        })?;
        let meant = Line::equation(body.with(letter, &Expr::symbol(fresh)), argument.clone());
        let told = Line::equation(Expr::symbol(fresh), self.put_into(right, DEPTH));
        let setting = Setting { unknown: Some(fresh.to_owned()), assumed: setting.assumed.clone() };
        Some(match compare_given(&meant, &told, &setting) {
            // The letter that stood for the value is ours: nothing is said of it.
            StepVerdict::NotEquivalent(mut found) => {
                let point = found.counterexample.take().map(|mut example| {
                    example.at.remove(fresh);
                    example
                });
                StepVerdict::NotEquivalent(Difference {
                    counterexample: point.filter(|example| !example.at.is_empty()),
                    ..Difference::default()
                })
            }
            found => found,
        })
    }
}

/// Whether a function of that name stands in an expression.
fn applies(expr: &Expr, function: &str) -> bool {
    expr.any(&mut |part| matches!(&part.kind, ExprKind::Apply { name, .. } if name == function))
}

/// A system with the values of letters that the second line no longer has put into its other lines; `None` when there
/// are none.
pub(super) fn without_given_values(from: &Line, to: &Line) -> Option<Line> {
    let Line::AllOf(lines) = from else { return None };
    let wanted = to.symbols();
    let mut rest: Vec<Line> = lines.clone();
    let mut changed = false;
    while rest.len() > 1 {
        let given = rest.iter().enumerate().find_map(|(at, line)| {
            let (left, right) = line.as_equation()?;
            let ExprKind::Symbol(letter) = &left.kind else { return None };
            let used = rest
                .iter()
                .enumerate()
                .any(|(other, l)| other != at && l.symbols().contains(letter));
            let fits = right.symbols().is_empty() && !wanted.contains(letter) && used;
            fits.then(|| (at, letter.clone(), right.clone()))
        });
        let Some((at, letter, value)) = given else { break };
        rest.remove(at);
        rest = rest.iter().map(|line| line.with(&letter, &value)).collect();
        changed = true;
    }
    let only = rest.len() == 1;
    changed.then(|| if only { rest.remove(0) } else { Line::AllOf(rest) })
}

/// The same lines with what is only named as a function taken for letters: `f(2x)` and `f(x)` are two of them, each
/// with any value.
pub(super) fn as_letters(line: &Line) -> Option<Line> {
    let has = |expr: &&Expr| expr.any(&mut |part| matches!(part.kind, ExprKind::Apply { .. }));
    line.expressions().iter().any(has).then(|| {
        line.map(&mut |expr| {
            expr.map(&mut |part| match &part.kind {
                ExprKind::Apply { name, arguments } => {
                    // `d/dx (x³)` says itself what it is.
                    if let (Some(letter), [of]) = (name.strip_prefix("d/d"), &arguments[..])
                        && let Some(found) = derivative(of, letter)
                    {
                        return found;
                    }
                    let inside: Vec<String> = arguments
                        .iter()
                        .map(|argument| crate::write::text(&super::simplest(argument)))
                        .collect();
                    Expr::at(ExprKind::Symbol(format!("{name}({})", inside.join(", "))), part.span)
                }
                _ => part,
            })
        })
    })
}

/// Whether a chain begins with a name that its other sides explain: `d = √(3² + 4²) = √25 = 5`, `Area = 6 × 4`.
pub(super) fn is_named_chain(sides: &[Expr], relations: &[Relation]) -> bool {
    let [first, rest @ ..] = sides else { return false };
    let ExprKind::Symbol(name) = &first.kind else { return false };
    let explains = rest.iter().all(|side| !side.symbols().contains(name));
    // A formula of names alone, `speed = distance × time`, is a claim that nothing here can judge.
    let enough = rest.len() > 1 || (crate::expr::is_name(name) && !has_name(&rest[0]));
    let joined = relations.iter().all(|r| matches!(r, Relation::Equal | Relation::Approximate));
    explains && enough && joined && relations.first() == Some(&Relation::Equal)
}

/// Whether a quantity is named in it by a word: `speed`.
pub(super) fn has_name(side: &Expr) -> bool {
    side.symbols().iter().any(|name| {
        crate::expr::is_name(name) && name.chars().all(|c| c.is_lowercase() || c == ' ')
    })
}

/// The exact value of an expression without letters, where it is a fraction.
pub(super) fn whole(expr: &Expr) -> Option<i64> {
    let value = super::exact_value(expr)?;
    (value.is_integer() && value >= from_int(0)).then(|| value.to_integer().to_i64())?
}
