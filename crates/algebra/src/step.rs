//! Two lines, and what the second does to the first.

use crate::assume::is_true;
use crate::budget::Budget;
use crate::equal::{equal_given, exclusions, follows_from_sign};
use crate::expr::{Expr, ExprKind};
use crate::line::{Line, Relation};
use crate::normal::{Normaliser, NotNormal, Values, constant};
use crate::round::{Fit, fits};
use crate::solve::compare::{formulas as literal_formulas, literal, one_to_one, several_letters};
use crate::solve::sets;
use crate::verdict::{Condition, Counterexample, Shown, Verdict};
use crate::verdict::{Difference, Reason, Setting, StepVerdict};

fn different(reason: Reason) -> StepVerdict {
    StepVerdict::NotEquivalent(Difference { reason, ..Difference::default() })
}

fn of_values(verdict: Verdict) -> StepVerdict {
    match verdict {
        Verdict::Equal { provided } => StepVerdict::Equivalent { provided },
        Verdict::Different(found) => StepVerdict::NotEquivalent(Difference {
            counterexample: Some(found),
            ..Difference::default()
        }),
        Verdict::NeverDefined => different(Reason::NeverDefined),
        Verdict::Tested { points } => StepVerdict::Tested { points },
        Verdict::Undecided => StepVerdict::Undecided,
    }
}

/// Compares a line with the line before it. With `unknown`, equations in several letters are compared
/// for that letter; a line `h = ...` asks for that by itself.
#[must_use]
pub fn compare(from: &Line, to: &Line, unknown: Option<&str>) -> StepVerdict {
    compare_given(from, to, &Setting::for_letter(unknown))
}

/// Compares a line with the line before it, as [`compare`], under assumptions.
#[must_use]
pub fn compare_given(from: &Line, to: &Line, setting: &Setting) -> StepVerdict {
    if from == to && !matches!(to, Line::Sentence(_)) {
        return StepVerdict::Equivalent { provided: Vec::new() };
    }
    // `x ≈ 3.16` does not say that `x = 3.16`.
    if let (Line::Relations { sides: near, relations }, Some((left, right))) =
        (from, to.as_equation())
        && let ([name, value], [Relation::Approximate]) = (&near[..], &relations[..])
        && name == left
        && value.as_plain_number().is_some()
        && value.as_plain_number() == right.as_plain_number()
    {
        return different(Reason::Rounding);
    }
    if let Some((from, to)) = tuples::resolved(from, to) {
        return compare_given(&from, &to, setting);
    }
    if let Some(found) = as_meant(from, to, setting) {
        return found;
    }
    match (from, to) {
        (Line::Sentence(_), _) | (_, Line::Sentence(_)) => StepVerdict::Undecided,
        // A definition says nothing of the line above; it has to make sense by itself.
        (_, Line::Definition { .. }) => judge_alone_given(to, setting),
        (Line::Definition { .. }, _) => StepVerdict::Undecided,
        (Line::Expression(value), Line::Rounded(near)) => rounded(value, near),
        (_, Line::Rounded(near)) => match from.as_equation() {
            Some((_, value)) => rounded(value, near),
            None => StepVerdict::Undecided,
        },
        (Line::Rounded(_), _) => StepVerdict::Undecided,
        // An amount that was worked out without its currency.
        (Line::Expression(a), Line::Expression(b)) if is_amount(b) => with_unit(a, b, setting),
        (Line::Expression(a), Line::Expression(b)) => values(a, b, setting),
        (Line::Expression(start), Line::Relations { sides, relations }) => {
            continued(start, sides, relations, setting)
        }
        // `Area = 6 × 4`, and then `24`.
        (Line::Relations { .. }, Line::Expression(b)) if named_value(from).is_some() => {
            named_value(from).map_or(StepVerdict::Undecided, |a| values(a, b, setting))
        }
        (Line::Expression(_), _) | (_, Line::Expression(_)) => different(Reason::Shape),
        _ => match (without_signs(from), without_signs(to)) {
            (Some(from), Some(to)) => relations(&from, &to, setting),
            _ => StepVerdict::Undecided,
        },
    }
}

/// Compares lines that mean more than they say by themselves: a box to be filled, what the first one defines or gives,
/// functions that are only named. `None` for all others.
fn as_meant(from: &Line, to: &Line, setting: &Setting) -> Option<StepVerdict> {
    if let Some(found) = blanks::compare(from, to, setting) {
        return Some(found);
    }
    if let Some(found) = definitions::compare(from, to, setting) {
        return Some(found);
    }
    let (before, after) = (definitions::as_letters(from), definitions::as_letters(to));
    if before.is_some() || after.is_some() {
        let of = |line: &Line, letters: Option<Line>| letters.unwrap_or_else(|| line.clone());
        return Some(compare_given(&of(from, before), &of(to, after), setting));
    }
    let put = definitions::without_given_values(from, to)?;
    let found = compare_given(&put, to, setting);
    matches!(found, StepVerdict::Equivalent { .. }).then_some(found)
}

/// Whether two numbers stand in an order.
fn ordered(left: &Expr, right: &Expr, relation: Relation) -> StepVerdict {
    let mut budget = Budget::for_verdict();
    let none = Values::new();
    let mut forms = Normaliser::new(&none, &mut budget);
    let built = forms.build(left).and_then(|l| Ok((l, forms.build(right)?)));
    let (l, r) = match built {
        Ok(values) => values,
        Err(NotNormal::Undefined) => return different(Reason::NeverDefined),
        Err(_) => return StepVerdict::Undecided,
    };
    let sign = l.minus(&r, &mut budget).ok().and_then(|d| constant::sign(&d, &mut budget));
    match sign.and_then(|sign| relation.holds_for(sign)) {
        Some(true) => StepVerdict::Equivalent { provided: Vec::new() },
        Some(false) => {
            let (left, right) = (Shown::Value(l.to_expr()), Shown::Value(r.to_expr()));
            StepVerdict::NotEquivalent(Difference {
                counterexample: Some(Counterexample { at: none, left, right }),
                ..Difference::default()
            })
        }
        None => StepVerdict::Undecided,
    }
}

/// Compares two expressions, of which the second may have a unit that the first works out without:
/// `2(6 + 4) = 20 cm`.
fn with_unit(left: &Expr, right: &Expr, setting: &Setting) -> StepVerdict {
    match values(left, right, setting) {
        StepVerdict::NotEquivalent(found) => match without_unit(left, right) {
            Some(number) if values(left, &number, setting).is_equivalent() => {
                StepVerdict::Equivalent { provided: Vec::new() }
            }
            _ => StepVerdict::NotEquivalent(found),
        },
        found => found,
    }
}

/// Compares two expressions.
fn values(a: &Expr, b: &Expr, setting: &Setting) -> StepVerdict {
    if let Some(found) = remainders::compare(a, b) {
        return found;
    }
    let with_sign =
        |expr: &Expr| expr.any(&mut |part| matches!(part.kind, ExprKind::PlusMinus { .. }));
    if with_sign(a) != with_sign(b) {
        // `√4 = ±2`: one value against two.
        for upper in [true, false] {
            match of_values(equal_given(&signed(a, upper), &signed(b, upper), &setting.assumed)) {
                StepVerdict::Equivalent { .. } => {}
                other => return other,
            }
        }
        return StepVerdict::Equivalent { provided: Vec::new() };
    }
    of_values(equal_given(a, b, &setting.assumed))
}

/// The exact value of an expression without letters, where it is a fraction.
pub fn exact_value(expr: &Expr) -> Option<crate::number::Rational> {
    let mut budget = Budget::for_verdict();
    let none = Values::new();
    Normaliser::new(&none, &mut budget).build(expr).ok()?.as_constant()
}

/// An expression in its normal form, where it has one.
fn simplest(expr: &Expr) -> Expr {
    let mut budget = Budget::for_verdict();
    let none = Values::new();
    let built = Normaliser::new(&none, &mut budget).build(expr);
    built.map_or_else(|_| expr.clone(), |value| value.to_expr())
}

/// An expression, and below it `3(x + 4) = 3x + 12` or `≈ 10.4`: the chain is headed by it.
fn continued(
    start: &Expr,
    sides: &[Expr],
    relations: &[Relation],
    setting: &Setting,
) -> StepVerdict {
    if relations.iter().any(|r| !matches!(r, Relation::Equal | Relation::Approximate)) {
        return different(Reason::Shape);
    }
    match of_values(equal_given(start, &sides[0], &setting.assumed)) {
        StepVerdict::Equivalent { .. } => {
            let mut all = vec![start.clone()];
            all.extend_from_slice(sides);
            let mut joined = vec![Relation::Equal];
            joined.extend_from_slice(relations);
            judge_alone_given(&Line::Relations { sides: all, relations: joined }, setting)
        }
        StepVerdict::NotEquivalent(_) => different(Reason::Shape),
        open => open,
    }
}

/// Judges one line by itself: each relation of a chain must join sides that fit.
#[must_use]
pub fn judge_alone(line: &Line) -> StepVerdict {
    judge_alone_given(line, &Setting::default())
}

/// Judges one line by itself, as [`judge_alone`], under assumptions.
#[must_use]
pub fn judge_alone_given(line: &Line, setting: &Setting) -> StepVerdict {
    if let Some(line) = definitions::as_letters(line) {
        return judge_alone_given(&line, setting);
    }
    match line {
        // `d = √(3² + 4²) = √25 = 5`: the name is explained, the rest is claimed.
        Line::Relations { sides, relations } if definitions::is_named_chain(sides, relations) => {
            match &sides[1..] {
                [only] => judge_alone_given(&Line::Expression(only.clone()), setting),
                rest => {
                    // `A = lw = 6 × 4 = 24`: where the letters end, numbers are put for them.
                    let letters = rest.iter().take_while(|side| !side.symbols().is_empty()).count();
                    let of = |from: usize, to: usize| Line::Relations {
                        sides: rest[from..to].to_vec(),
                        relations: relations[1 + from..to].to_vec(),
                    };
                    let formula =
                        (letters > 1).then(|| judge_alone_given(&of(0, letters), setting));
                    match formula.filter(|found| !found.is_equivalent()) {
                        Some(found) => found,
                        None if rest.len() - letters < 2 => {
                            StepVerdict::Equivalent { provided: Vec::new() }
                        }
                        None => judge_alone_given(&of(letters, rest.len()), setting),
                    }
                }
            }
        }
        Line::Expression(expr) => {
            of_values(equal_given(expr, &expr.clone().times(Expr::int(1)), &setting.assumed))
        }
        Line::Relations { sides, relations } => {
            let mut all = Vec::new();
            let mut open = None;
            for (index, (pair, relation)) in sides.windows(2).zip(relations).enumerate() {
                match link(&pair[0], &pair[1], *relation, setting) {
                    StepVerdict::Equivalent { provided } => all.extend(provided),
                    // What quantities in words have to do with each other, no line says by itself.
                    StepVerdict::NotEquivalent(_) if pair.iter().any(definitions::has_name) => {
                        return StepVerdict::Undecided;
                    }
                    StepVerdict::NotEquivalent(mut found) => {
                        if sides.len() > 2 && found.reason == Reason::Values {
                            found.reason = Reason::Link(index);
                        }
                        return StepVerdict::NotEquivalent(found);
                    }
                    other => open = Some(other),
                }
            }
            open.unwrap_or(StepVerdict::Equivalent { provided: all })
        }
        // `(2, 3) + (1, 4) = (3, 7)`: each entry is claimed.
        Line::AllOf(lines)
            if lines.iter().all(|l| l.symbols().is_empty() && l.as_equation().is_some()) =>
        {
            let verdicts = lines.iter().map(|line| judge_alone_given(line, setting));
            let none = StepVerdict::Equivalent { provided: Vec::new() };
            verdicts.into_iter().find(|verdict| !verdict.is_equivalent()).unwrap_or(none)
        }
        // Lines below each other: each says the same as the one above.
        Line::AllOf(lines) if lines.iter().all(|l| l.symbols().len() == 1) => {
            let pairs = lines.windows(2);
            let same = pairs
                .into_iter()
                .all(|pair| compare_given(&pair[0], &pair[1], setting).is_equivalent());
            if same {
                StepVerdict::Equivalent { provided: Vec::new() }
            } else {
                StepVerdict::Undecided
            }
        }
        // A list of values claims nothing.
        Line::Point(_) => StepVerdict::Equivalent { provided: Vec::new() },
        Line::AnyOf(lines) if lines.iter().all(|l| matches!(l, Line::Expression(_))) => {
            StepVerdict::Equivalent { provided: Vec::new() }
        }
        Line::Definition { letter, value } => {
            let sound = !value.symbols().contains(letter);
            if sound {
                StepVerdict::Equivalent { provided: Vec::new() }
            } else {
                different(Reason::Shape)
            }
        }
        _ => StepVerdict::Undecided,
    }
}

fn link(left: &Expr, right: &Expr, relation: Relation, setting: &Setting) -> StepVerdict {
    match relation {
        Relation::Equal => with_unit(left, right, setting),
        Relation::Approximate => rounded(left, right),
        Relation::NotEqual if left.symbols().is_empty() && right.symbols().is_empty() => {
            match link(left, right, Relation::Equal, setting) {
                StepVerdict::NotEquivalent(Difference { counterexample: Some(_), .. }) => {
                    StepVerdict::Equivalent { provided: Vec::new() }
                }
                StepVerdict::Equivalent { .. } => different(Reason::Values),
                open => open,
            }
        }
        _ if left.symbols().is_empty() && right.symbols().is_empty() => {
            ordered(left, right, relation)
        }
        _ => {
            let line = Line::Relations {
                sides: vec![left.clone(), right.clone()],
                relations: vec![relation],
            };
            match solitary_letter(&line.symbols().into_iter().collect::<Vec<_>>()) {
                Some(letter) => in_one_letter(&Line::AllReals, &line, &letter, setting),
                None => StepVerdict::Undecided,
            }
        }
    }
}

/// What a name in words is said to be, where that is a number: the `6 × 4` of `Area = 6 × 4`.
fn named_value(line: &Line) -> Option<&Expr> {
    let (name, value) = line.as_equation()?;
    let is_named = matches!(&name.kind, ExprKind::Symbol(name) if crate::expr::is_name(name));
    (is_named && value.symbols().is_empty()).then_some(value)
}

/// `$6.25`
fn is_amount(expr: &Expr) -> bool {
    matches!(&expr.kind, ExprKind::Multiply(_, unit)
        if matches!(unit.kind, ExprKind::Unit(unit) if unit.stands_before()))
}

/// The number of a side with a unit, where the other side works it out without units: `2(6 + 4) = 20 cm`,
/// `360/5 = 72°`.
fn without_unit(left: &Expr, right: &Expr) -> Option<Expr> {
    let has_unit = |expr: &Expr| {
        expr.any(&mut |part| {
            matches!(part.kind, ExprKind::Unit(_) | ExprKind::Degree(_) | ExprKind::Call { .. })
        })
    };
    let is_worked_out = left.symbols().is_empty() && !left.children().is_empty() && !has_unit(left);
    if !is_worked_out {
        return None;
    }
    match &right.kind {
        ExprKind::Degree(number) => Some((**number).clone()),
        ExprKind::Multiply(number, unit) if has_unit(unit) && !has_unit(number) => {
            Some((**number).clone())
        }
        _ => None,
    }
}

/// Whether `right`, as it is written, is `left` rounded.
fn rounded(left: &Expr, right: &Expr) -> StepVerdict {
    let none = Values::new();
    let mut budget = Budget::for_verdict();
    let value = Normaliser::new(&none, &mut budget).build(left);
    match value.map(|value| fits(&value, right, &mut budget)) {
        Ok(Fit::Rounds) => StepVerdict::Equivalent { provided: Vec::new() },
        Ok(Fit::Misses) => different(Reason::Rounding),
        _ => StepVerdict::Undecided,
    }
}

fn solitary_letter(letters: &[String]) -> Option<String> {
    match letters {
        [] => Some("x".to_owned()),
        [one] => Some(one.clone()),
        _ => None,
    }
}

fn in_one_letter(from: &Line, to: &Line, letter: &str, setting: &Setting) -> StepVerdict {
    match sets::differences(from, to, letter, &setting.assumed) {
        Ok(None) => StepVerdict::Equivalent { provided: excluded(from, letter) },
        Ok(Some(found)) => StepVerdict::NotEquivalent(Difference {
            lost: found.lost,
            gained: found.gained,
            counterexample: found.counterexample,
            reason: Reason::Values,
            ..Difference::default()
        }),
        Err(_) => StepVerdict::Undecided,
    }
}

/// Values that the first line excludes, told when it holds denominators with the letter in them.
fn excluded(line: &Line, letter: &str) -> Vec<Condition> {
    let none = Values::new();
    let mut budget = Budget::for_verdict();
    let mut forms = Normaliser::new(&none, &mut budget);
    for side in line.expressions() {
        if forms.build(side).is_err() {
            return Vec::new();
        }
    }
    let mut told = Vec::new();
    let needs = forms.needs;
    for condition in needs.not_zero.iter().flat_map(exclusions) {
        let about_it = matches!(&condition, Condition::Not { letter: l, .. } if l == letter)
            && !follows_from_sign(&condition, &needs.positive);
        if about_it && !told.contains(&condition) {
            told.push(condition);
        }
    }
    told
}

/// The only letter of two lines. Letters that count whole numbers in the second line, as the `n` of
/// `x = π/6 + 2πn`, are none.
fn only_letter(from: &Line, to: &Line, letters: &[String], setting: &Setting) -> Option<String> {
    solitary_letter(letters).or_else(|| {
        let own: Vec<String> = from.symbols().into_iter().collect();
        let letter = setting.unknown.clone().or_else(|| solitary_letter(&own))?;
        let counts = |other: &String| {
            *other == letter
                || (matches!(other.as_str(), "n" | "k" | "m")
                    && !setting.assumed.lines.iter().any(|line| line.symbols().contains(other)))
        };
        let is_own = own.iter().all(|other| *other == letter || counts(other));
        (is_own && !to.symbols().is_empty() && letters.iter().all(counts)).then_some(letter)
    })
}

fn relations(from: &Line, to: &Line, setting: &Setting) -> StepVerdict {
    let letters: Vec<String> = from.symbols().union(&to.symbols()).cloned().collect();
    let unknown = setting.unknown.as_deref();
    if letters.len() > 1 {
        let (before, after) = (squares::apart(from), squares::apart(to));
        if before.is_some() || after.is_some() {
            let of = |line: &Line, apart: Option<Line>| apart.unwrap_or_else(|| line.clone());
            return relations(&of(from, before), &of(to, after), setting);
        }
    }
    if is_system(from) && letters.len() > 1 {
        return systems::compare(from, to, &letters, setting);
    }
    if let Some(letter) = only_letter(from, to, &letters, setting) {
        if let Some(verdict) = rounded::approximations(from, to, &letter, setting) {
            return verdict;
        }
        let verdict = in_one_letter(from, to, &letter, setting);
        if verdict != StepVerdict::Undecided {
            return verdict;
        }
        if letters.len() == 1 {
            if one_to_one::are_the_same(from, to) {
                return StepVerdict::Equivalent { provided: excluded(from, &letter) };
            }
            return several_letters::compare(from, to, &letters, &setting.assumed);
        }
    }
    if is_counted(from, to, setting) {
        return StepVerdict::Undecided;
    }
    if is_system(from) || is_system(to) {
        return systems::compare(from, to, &letters, setting);
    }
    if let (Some((fl, fr)), Some((tl, tr))) = (from.as_equation(), to.as_equation())
        && let Some(verdict) = formulas((from, fl, fr), (to, tl, tr), &letters, setting)
    {
        return verdict;
    }
    if let Some(letter) = unknown.or(solved_letter(to).as_deref()) {
        let found = literal_formulas::compare_for(from, to, letter, &setting.assumed);
        if let Ok(found) = found {
            return of_comparison(found);
        }
    }
    match several_letters::compare(from, to, &letters, &setting.assumed) {
        // For one letter the others are generic, and the point may have been a special one.
        StepVerdict::NotEquivalent(_) if unknown.is_some() => StepVerdict::Undecided,
        found => found,
    }
}

/// The letter that a line gives the value of, alone on its left.
fn solved_letter(line: &Line) -> Option<String> {
    let line = match line {
        Line::AnyOf(lines) => lines.first()?,
        other => other,
    };
    let (left, right) = line.as_equation()?;
    match &left.kind {
        ExprKind::Symbol(name)
            if !right.symbols().contains(name) && !right.symbols().is_empty() =>
        {
            Some(name.clone())
        }
        _ => None,
    }
}

/// Whether the second line has a letter that counts: `x = π/6 + 2πn`. It stands for every whole number, and for
/// no single one, so that putting numbers for it shows nothing.
fn is_counted(from: &Line, to: &Line, setting: &Setting) -> bool {
    let (before, after) = (from.symbols(), to.symbols());
    let mut more = after.difference(&before).peekable();
    let is_assumed = |letter: &String| {
        setting.assumed.lines.iter().any(|line| line.symbols().contains(letter))
            || setting.unknown.as_ref() == Some(letter)
    };
    !before.is_empty()
        && before.is_subset(&after)
        && more.peek().is_some()
        && more.all(|letter| matches!(letter.as_str(), "n" | "k" | "m") && !is_assumed(letter))
}

fn is_system(line: &Line) -> bool {
    match line {
        Line::AllOf(lines) => lines.iter().all(|line| line.as_equation().is_some()),
        Line::AnyOf(lines) => lines.iter().any(is_system),
        _ => false,
    }
}

fn of_comparison(found: literal::Comparison) -> StepVerdict {
    match found {
        literal::Comparison::Same(provided) => StepVerdict::Equivalent { provided },
        literal::Comparison::Different(found) => StepVerdict::NotEquivalent(Difference {
            counterexample: Some(found),
            ..Difference::default()
        }),
        literal::Comparison::Open => StepVerdict::Undecided,
    }
}

/// Equations between quotients of polynomials in several letters; `None` when they are no such, or
/// nothing is found.
fn formulas(
    (from, fl, fr): (&Line, &Expr, &Expr),
    (to, tl, tr): (&Line, &Expr, &Expr),
    letters: &[String],
    setting: &Setting,
) -> Option<StepVerdict> {
    let mut budget = Budget::for_verdict();
    let f = literal::Relation::of(fl, fr, &mut budget).ok()?;
    let t = literal::Relation::of(tl, tr, &mut budget).ok()?;
    let solved = solved_letter(to);
    let compared = match setting.unknown.as_deref().or(solved.as_deref()) {
        Some(letter) => literal::compare_for(&f, &t, letter),
        None => literal::compare_all((&f, from), (&t, to), letters),
    };
    let compared = compared.ok()?;
    // `ab = ac` -> `b = c` loses where a is 0, whatever b and c are.
    if matches!(compared, literal::Comparison::Same(_))
        && setting.unknown.is_none()
        && literal::cancels(&f, &t, solved.as_deref(), &mut budget)
        && let Ok(literal::Comparison::Different(found)) =
            literal::compare_all((&f, from), (&t, to), letters)
        && (setting.assumed.is_empty() || setting.assumed.admit(&found.at, &mut budget))
        && is_true(from, &found.at, &mut budget) != is_true(to, &found.at, &mut budget)
    {
        return Some(of_comparison(literal::Comparison::Different(found)));
    }
    match compared {
        literal::Comparison::Open => None,
        // The formulas were compared without what they divide by: the point is looked at in the lines.
        literal::Comparison::Different(found)
            if is_true(from, &found.at, &mut budget) == is_true(to, &found.at, &mut budget) =>
        {
            None
        }
        found => Some(of_comparison(found)),
    }
}

mod blanks;
mod definitions;
mod remainders;
mod rounded;
mod squares;
mod systems;
mod tuples;
mod two_signs;

use two_signs::{signed, without_signs};

#[cfg(test)]
mod tests;
