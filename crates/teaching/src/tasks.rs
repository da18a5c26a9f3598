//! What can be asked of a problem beyond solving: simplify, expand, factor, evaluate; and formulas and
//! systems solved for their letters. Each gives drafts that are proved before anybody sees them.

mod simplest;

pub use simplest::simplify;

use crate::ids::{self, MethodId};
use crate::working::{Because, Draft, Working};
use algebra::budget::Budget;
use algebra::normal::{Normaliser, NotNormal, Poly, Quotient, Values, prime_powers};
use algebra::number::{decimal_places, to_decimal_text};
use algebra::solve::{
    Rule, Step, Unsolved, Way, as_derivative, derivative_of, differentiated, eliminate,
    eliminate_terms, eliminate_three, expanding, factorising, formula_values, gathered,
    one_unknown, product_of_factors, substitute, system_points, undone,
};
use algebra::write::text;
use algebra::{
    Assumptions, Expr, ExprKind, Function, Line, Role, Setting, StepVerdict, compare_given,
};
use num_traits::Signed;

/// A working with the method it follows and the others that fit.
pub struct Worked {
    /// The lines.
    pub working: Working,
    /// The method's id.
    pub method: MethodId,
    /// Every method that fits.
    pub methods: Vec<MethodId>,
}

impl Worked {
    /// The same, with what it takes said in the reason of its last line.
    #[must_use]
    pub fn for_positive_letters(mut self) -> Self {
        if let Some(Draft::Line { reason, .. }) = self.working.0.last_mut() {
            reason.says.push_str(", all letters being positive");
        }
        self
    }
}

/// Said of a method that is for other problems.
const DOES_NOT_FIT: &str = "That method does not fit this problem.";

/// Why a task has no answer.
pub const NO_FORM: &str =
    "This could not be worked: it goes beyond what can be proved here so far.";

fn two(from: Line, to: Line, rule: &Rule) -> Worked {
    let draft = |line, rule: &Rule, role| Draft::Line { line, reason: rule.into(), role };
    let first = draft(from, &Rule::Given, Role::Starts);
    Worked {
        working: Working(vec![first, draft(to, rule, Role::Concludes)]),
        method: ids::method::USUAL,
        methods: vec![ids::method::USUAL],
    }
}

fn normal(expr: &Expr) -> Option<Quotient> {
    let (none, mut budget) = (Values::new(), Budget::for_verdict());
    let value = Normaliser::new(&none, &mut budget).build(expr).ok()?;
    value.cancelled(&mut budget).ok()?.rationalised(&mut budget).ok()
}

/// Why an expression has no value: the innermost part of it that has none.
fn why_not(expr: &Expr) -> String {
    let is_undefined = |part: &Expr| {
        let (none, mut budget) = (Values::new(), Budget::for_verdict());
        Normaliser::new(&none, &mut budget).build(part) == Err(NotNormal::Undefined)
    };
    if !is_undefined(expr) {
        return NO_FORM.into();
    }
    let mut part = expr;
    while let Some(inner) = part.children().into_iter().find(|inner| is_undefined(inner)) {
        part = inner;
    }
    let why = match &part.kind {
        ExprKind::Divide(..) => "it divides by zero",
        ExprKind::Root { .. } => "no real number has an even power below zero",
        ExprKind::Power(..) => "this power is not defined",
        ExprKind::Factorial(_) => "only whole numbers from 0 on have a factorial",
        ExprKind::Call { function: Function::Ln | Function::Log, .. } => {
            "only positive numbers have a logarithm"
        }
        ExprKind::Call { function: Function::Arcsin | Function::Arccos, .. } => {
            "no sine or cosine lies beyond 1 and -1"
        }
        _ => "it is not defined there",
    };
    format!("“{}” has no value: {why}.", text(part))
}

/// A line that is an expression, in its simplest form.
///
/// # Errors
/// As [`simplify`].
pub fn simplify_line(line: &Line, _assumed: &Assumptions) -> Result<Worked, String> {
    match line {
        Line::Expression(expr) => simplify(expr),
        _ => Err(NO_FORM.into()),
    }
}

/// Whether a constant is a whole number.
#[must_use]
pub fn is_whole(expr: &Expr) -> bool {
    normal(expr).and_then(|value| value.as_constant()).is_some_and(|value| value.is_integer())
}

/// The value of a constant as a decimal with at most that many places.
#[must_use]
pub fn decimal(expr: &Expr, places: u32) -> Option<String> {
    let value = normal(expr)?;
    if let Some(exact) = value.as_constant() {
        let ends = decimal_places(&exact).filter(|&n| n <= places).unwrap_or(places);
        return Some(to_decimal_text(&exact, ends));
    }
    let inside = algebra::normal::constant::enclose(&value, 96, &mut Budget::for_verdict())?;
    let (low, high) =
        (to_decimal_text(&inside.low(), places), to_decimal_text(&inside.high(), places));
    (low == high).then_some(low)
}

/// The value of a constant rounded to that many places, all of them written.
#[must_use]
pub fn rounded(expr: &Expr, places: u32) -> Option<String> {
    match normal(expr)?.as_constant() {
        Some(exact) => Some(to_decimal_text(&exact, places)),
        None => decimal(expr, places),
    }
}

/// The exact value of an expression without letters.
///
/// # Errors
/// As [`simplify`].
pub fn evaluate(expr: &Expr) -> Result<Worked, String> {
    if !expr.symbols().is_empty() {
        return Err("There is a letter in this: give it a value, or simplify instead.".into());
    }
    simplify(expr)
}

/// An expression as a sum of terms.
///
/// # Errors
/// As [`simplify`].
pub fn expand(expr: &Expr) -> Result<Worked, String> {
    let lines = expanding(expr);
    if !lines.is_empty() {
        return Ok(in_steps(expr, lines));
    }
    let value = normal(expr).ok_or_else(|| why_not(expr))?;
    let answer = match value.as_poly() {
        Some(poly) => poly.to_expr(),
        None => value.to_expr(),
    };
    Ok(two(Line::Expression(expr.clone()), Line::Expression(answer), &Rule::Expand))
}

/// An expression as a product, or a whole number as a product of primes.
///
/// # Errors
/// As [`simplify`].
pub fn factor(expr: &Expr) -> Result<Worked, String> {
    let value = normal(expr).ok_or_else(|| why_not(expr))?;
    let answer = match (value.as_constant(), value.as_poly()) {
        (Some(number), _) if number.is_integer() && !number.numer().is_negative() => {
            let power = |(prime, exponent): (_, i64)| {
                let prime = Expr::rational(&algebra::Rational::from_integer(prime));
                match u32::try_from(exponent) {
                    Ok(1) | Err(_) => prime,
                    Ok(n) => prime.to_the(n),
                }
            };
            let all = prime_powers(&number).into_iter().map(power).reduce(Expr::times);
            all.unwrap_or_else(|| Expr::rational(&number))
        }
        (_, Some(poly)) => {
            let lines = factorising(&poly);
            if !lines.is_empty() {
                return Ok(in_steps(expr, lines));
            }
            factored(&poly)?
        }
        _ => {
            let above = factored(value.numerator())?;
            above.over(factored(value.denominator())?)
        }
    };
    let is_sum = matches!(expr.kind, ExprKind::Add(..) | ExprKind::Subtract(..));
    let rule = match (answer == *expr, is_sum) {
        (true, true) => Rule::DoesNotSplit,
        (true, false) => Rule::IsProduct,
        _ => Rule::Factorise,
    };
    Ok(two(Line::Expression(expr.clone()), Line::Expression(answer), &rule))
}

fn factored(poly: &Poly) -> Result<Expr, String> {
    product_of_factors(poly, &mut Budget::for_verdict()).ok_or_else(|| NO_FORM.into())
}

/// An expression with the lines that follow from it, the answer last.
fn in_steps(expr: &Expr, lines: Vec<(Expr, Rule)>) -> Worked {
    let draft = |(line, rule): (Expr, Rule)| Draft::Line {
        line: Line::Expression(line),
        reason: rule.into(),
        role: Role::Follows,
    };
    let mut drafts = vec![Draft::Line {
        line: Line::Expression(expr.clone()),
        reason: Rule::Given.into(),
        role: Role::Starts,
    }];
    drafts.extend(lines.into_iter().filter(|(line, _)| line != expr).map(draft));
    if let Some(Draft::Line { role, .. }) = drafts.last_mut() {
        *role = Role::Concludes;
    }
    Worked {
        working: Working(drafts),
        method: ids::method::USUAL,
        methods: vec![ids::method::USUAL],
    }
}

/// The derivative of an expression, of `y = …` or of `f(x) = …`, for a letter.
///
/// # Errors
/// [`NO_FORM`] for what has no derivative here.
pub fn differentiate(line: &Line, letter: &str) -> Result<Worked, String> {
    let (name, of) = match line {
        Line::Expression(expr) => match as_derivative(expr) {
            Some((_, inside)) => (None, inside.clone()),
            None => (None, expr.clone()),
        },
        _ => {
            let (left, right) = line.as_equation().ok_or(NO_FORM)?;
            let name = match &left.kind {
                ExprKind::Symbol(name) if name.chars().count() == 1 => format!("d{name}/d{letter}"),
                _ => return Err(NO_FORM.into()),
            };
            (Some(name), right.clone())
        }
    };
    let lines = differentiated(&of, letter);
    if lines.is_empty() {
        return Err(NO_FORM.into());
    }
    let Some(name) = name else {
        return Ok(in_steps(&derivative_of(&of, letter), lines));
    };
    // `y = x³`, and below it what dy/dx is.
    let is = |value: &Expr| Line::equation(Expr::symbol(&name), value.clone());
    let mut drafts =
        vec![Draft::Line { line: line.clone(), reason: Rule::Given.into(), role: Role::Starts }];
    drafts.extend(lines.into_iter().map(|(value, rule)| Draft::Line {
        line: is(&value),
        reason: rule.into(),
        role: Role::Follows,
    }));
    if let Some(Draft::Line { role, .. }) = drafts.last_mut() {
        *role = Role::Concludes;
    }
    Ok(Worked {
        working: Working(drafts),
        method: ids::method::USUAL,
        methods: vec![ids::method::USUAL],
    })
}

/// A line in one unknown, worked on a board; `told` is how its reasons write a part of it.
///
/// # Errors
/// As [`simplify`].
pub fn solve(
    line: &Line,
    letter: &str,
    method: Option<MethodId>,
    assumed: &Assumptions,
    told: fn(&Expr) -> Expr,
) -> Result<Worked, String> {
    let way = match method {
        None => None,
        Some(method) => Some(Way::named(method.as_str()).ok_or(DOES_NOT_FIT)?),
    };
    let found = one_unknown(line, letter, way, assumed).map_err(|why| match why {
        Unsolved::NotThisMethod => DOES_NOT_FIT,
        Unsolved::NotThisKind | Unsolved::Spent => NO_FORM,
    })?;
    let draft = |step: Step| {
        let rule = match step.rule {
            Rule::TreatAsOne(part) => Rule::TreatAsOne(told(&part)),
            Rule::Isolate(part) => Rule::Isolate(told(&part)),
            Rule::DivideBoth(part) => Rule::DivideBoth(told(&part)),
            rule => rule,
        };
        let mut reason = Because::from(rule);
        if step.role == Role::MayAdd {
            reason.says.push_str(": check at the end");
        }
        Draft::Line { line: step.line, reason, role: step.role }
    };
    Ok(Worked {
        working: Working(found.steps.into_iter().map(draft).collect()),
        method: ids::method::of(found.way),
        methods: found.ways.into_iter().map(ids::method::of).collect(),
    })
}

/// A formula rearranged for one of its letters.
///
/// # Errors
/// As [`simplify`].
pub fn rearrange(line: &Line, letter: &str, assumed: &Assumptions) -> Result<Worked, String> {
    let mut on_the_way = undone(line, letter);
    if on_the_way.is_empty() {
        on_the_way = gathered(line, letter);
    }
    let end = on_the_way.last().map(|(last, _)| last.clone());
    let is_answer = |end: &&Line| says_the_same(end, line, letter, assumed);
    let Some(values) = formula_values(line, letter, assumed) else {
        let answer = end.as_ref().filter(is_answer).ok_or(NO_FORM)?.clone();
        return Ok(on_the_way_to(answer, line, letter, on_the_way));
    };
    let is = |value: Expr| Line::equation(Expr::symbol(letter), value);
    let mut lines: Vec<Line> = values.into_iter().map(is).collect();
    // With `r > 0` one of two roots goes: whichever is proved to be all that is left.
    if lines.len() > 1 && !assumed.is_empty() {
        let setting = Setting { unknown: Some(letter.to_owned()), assumed: assumed.clone() };
        let alone = lines.iter().position(|one| {
            let is_all =
                matches!(compare_given(line, one, &setting), StepVerdict::Equivalent { .. });
            is_all && !is_negative(one)
        });
        if let Some(at) = alone {
            lines = vec![lines.swap_remove(at)];
        }
    }
    let answer = match lines.len() {
        0 => return Err(NO_FORM.into()),
        1 => lines.remove(0),
        _ => Line::AnyOf(lines),
    };
    // ln(y/(1 - y)), not ln y - ln(-(y - 1)), where the end of the working says the same in no more signs.
    let length = |line: &Line| algebra::write::text_line(line).chars().count();
    let answer = match end.as_ref().filter(|end| length(end) <= length(&answer)).filter(is_answer) {
        Some(end) => end.clone(),
        None => answer,
    };
    // √(V/(hπ)), not √(Vhπ)/(π|h|), below r² = V/(hπ).
    if let Some((rooted, index)) = end.as_ref().and_then(|end| rooted(end, letter, &answer)) {
        let setting = Setting { unknown: Some(letter.to_owned()), assumed: assumed.clone() };
        if matches!(compare_given(line, &rooted, &setting), StepVerdict::Equivalent { .. }) {
            let mut found = on_the_way_to(rooted, line, letter, on_the_way);
            if let Some(Draft::Line { reason, .. }) = found.working.0.last_mut() {
                *reason = Rule::RootBoth(index).into();
                if index % 2 == 0 && !matches!(answer, Line::AnyOf(_)) {
                    reason.says = format!("Take the root of both sides: ${letter}$ is positive");
                }
            }
            return Ok(found);
        }
    }
    Ok(on_the_way_to(answer, line, letter, on_the_way))
}

/// The root of both sides of `r² = V/(hπ)`, with as many values as the answer has, and its index.
fn rooted(end: &Line, letter: &str, answer: &Line) -> Option<(Line, u32)> {
    let (left, value) = end.as_equation()?;
    let ExprKind::Power(base, exponent) = &left.kind else { return None };
    let index = (2..=9).find(|n| **exponent == Expr::int(i64::from(*n)))?;
    if **base != Expr::symbol(letter) {
        return None;
    }
    let root: Expr = ExprKind::Root { index, radicand: Box::new(value.clone()) }.into();
    let is = |value: Expr| Line::equation(Expr::symbol(letter), value);
    let line = match answer {
        Line::AnyOf(_) => Line::AnyOf(vec![is(root.clone()), is(root.negative())]),
        _ => is(root),
    };
    Some((line, index))
}

/// A formula, the lines on the way, and the answer.
fn on_the_way_to(answer: Line, line: &Line, letter: &str, on_the_way: Vec<(Line, Rule)>) -> Worked {
    let mut found = two(line.clone(), answer.clone(), &Rule::Isolate(Expr::symbol(letter)));
    let last = found.working.0.pop();
    for (between, rule) in on_the_way {
        // The last step keeps its reason, and the answer its form.
        if (between == answer || is_solved_for(&between, letter))
            && let Some(Draft::Line { line, role, .. }) = last.clone()
        {
            let reason = rule.into();
            found.working.0.push(Draft::Line { line, reason, role });
            return found;
        }
        let reason = rule.into();
        found.working.0.push(Draft::Line { line: between, reason, role: Role::Follows });
    }
    found.working.0.extend(last);
    found
}

/// Whether the end of a working gives the letter the value that the formula gives it.
fn says_the_same(end: &Line, formula: &Line, letter: &str, assumed: &Assumptions) -> bool {
    let setting = Setting { unknown: Some(letter.to_owned()), assumed: assumed.clone() };
    is_solved_for(end, letter)
        && matches!(compare_given(formula, end, &setting), StepVerdict::Equivalent { .. })
}

/// Whether the value is written with a sign before it.
fn is_negative(line: &Line) -> bool {
    line.as_equation().is_some_and(|(_, value)| match &value.kind {
        ExprKind::Negative(_) => true,
        ExprKind::Divide(above, _) => matches!(above.kind, ExprKind::Negative(_)),
        _ => false,
    })
}

/// A way to work a system.
type Elimination = fn(&Line) -> Option<Vec<Step>>;

/// A system with finitely many solutions.
///
/// # Errors
/// As [`simplify`].
pub fn system(line: &Line, method: Option<MethodId>) -> Result<Worked, String> {
    let ways: [(MethodId, Elimination); 4] = [
        (ids::method::ELIMINATION, eliminate),
        (ids::method::ELIMINATION, eliminate_three),
        (ids::method::ELIMINATION, eliminate_terms),
        (ids::method::SUBSTITUTION, substitute),
    ];
    let mut fitting: Vec<(MethodId, Vec<Step>)> =
        ways.into_iter().filter_map(|(name, work)| Some((name, work(line)?))).collect();
    if !fitting.is_empty() {
        let methods = fitting.iter().map(|(name, _)| *name).collect();
        // Where a letter stands alone already, it is put in for.
        let usual = if is_isolated(line) { fitting.len() - 1 } else { 0 };
        let at = match method {
            None => usual,
            Some(wanted) => {
                fitting.iter().position(|(name, _)| *name == wanted).ok_or(DOES_NOT_FIT)?
            }
        };
        let (name, steps) = fitting.swap_remove(at);
        return Ok(Worked {
            working: Working(steps.into_iter().map(Draft::from).collect()),
            method: name,
            methods,
        });
    }
    if method.is_some_and(|method| method != ids::method::USUAL) {
        return Err(DOES_NOT_FIT.into());
    }
    let Some(points) = system_points(line) else {
        // Equations that say the same: every point of the first.
        let first = match line {
            Line::AllOf(lines) => lines.first().ok_or(NO_FORM)?,
            _ => return Err(NO_FORM.into()),
        };
        let is_all = compare_given(line, first, &Setting::default());
        return match is_all {
            StepVerdict::Equivalent { .. } => Ok(two(line.clone(), first.clone(), &Rule::SaySame)),
            _ => Err(NO_FORM.into()),
        };
    };
    let one = |point: Values| {
        let each =
            point.into_iter().map(|(name, v)| Line::equation(Expr::symbol(&name), v.to_expr()));
        Line::AllOf(each.collect())
    };
    let mut lines: Vec<Line> = points.into_iter().map(one).collect();
    let answer = match lines.len() {
        0 => Line::NoSolution,
        1 => lines.remove(0),
        _ => Line::AnyOf(lines),
    };
    let rule = if contradicts(line) { Rule::Contradict } else { Rule::FindSolutions };
    Ok(two(line.clone(), answer, &rule))
}

/// Whether two equations of a system have the same left side, and numbers on the right that differ.
fn contradicts(line: &Line) -> bool {
    let Line::AllOf(lines) = line else { return false };
    let sides: Vec<_> = lines.iter().filter_map(Line::as_equation).collect();
    sides.iter().enumerate().any(|(at, (left, right))| {
        sides[at + 1..].iter().any(|(other, value)| {
            let differ = right.as_plain_number().zip(value.as_plain_number());
            left == other && differ.is_some_and(|(a, b)| a != b)
        })
    })
}

/// Whether an equation of the system says what a letter equals.
fn is_isolated(line: &Line) -> bool {
    let Line::AllOf(lines) = line else { return false };
    lines.iter().filter_map(Line::as_equation).any(|(left, right)| {
        matches!(&left.kind, ExprKind::Symbol(name) if !right.symbols().contains(name))
    })
}

/// Whether a line gives the value of a letter.
fn is_solved_for(line: &Line, letter: &str) -> bool {
    line.as_equation().is_some_and(|(left, _)| *left == Expr::symbol(letter))
}
