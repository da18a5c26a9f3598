//! What can be asked of a problem beyond solving: simplify, expand, factor, evaluate; and formulas and
//! systems solved for their letters. Each gives drafts that are proved before anybody sees them.

use crate::words;
use crate::working::{Draft, Working};
use algebra::budget::Budget;
use algebra::normal::{Normaliser, NotNormal, Poly, Quotient, Values, gcd, prime_powers};
use algebra::number::{Notation, Written, decimal_places, to_decimal_text};
use algebra::solve::{
    Law, Rule, Step, arithmetic, board, by_laws, by_laws_of_numbers, double_angles, eliminate,
    eliminate_three, expanding, factorising, formula_values, gathered, has_brackets,
    over_one_denominator, peeled, product_of_factors, rationalised, shortest_ratio, substitute,
    system_points,
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
    pub method: String,
    /// Every method that fits.
    pub methods: Vec<String>,
}

impl Worked {
    /// The same, with what it takes said in the reason of its last line.
    #[must_use]
    pub fn for_positive_letters(mut self) -> Self {
        if let Some(Draft::Line { reason, .. }) = self.working.0.last_mut() {
            reason.push_str(", all letters being positive");
        }
        self
    }
}

/// Why a task has no answer.
pub(crate) const NO_FORM: &str =
    "This could not be worked: it goes beyond what can be proved here so far.";

fn two(from: Line, to: Line, rule: &Rule) -> Worked {
    let draft = |line, rule: &Rule, role| Draft::Line { line, reason: words::reason(rule), role };
    let first = draft(from, &Rule::Given, Role::Starts);
    Worked {
        working: Working(vec![first, draft(to, rule, Role::Concludes)]),
        method: "usual".into(),
        methods: vec!["usual".into()],
    }
}

fn normal(expr: &Expr) -> Option<Quotient> {
    let (none, mut budget) = (Values::new(), Budget::for_verdict());
    let value = Normaliser::new(&none, &mut budget).build(expr).ok()?;
    value.cancelled(&mut budget).ok()?.rationalised(&mut budget).ok()
}

/// An expression in its simplest form.
///
/// # Errors
/// A sentence that says why there is none.
pub fn simplify(expr: &Expr) -> Result<Worked, String> {
    if let ExprKind::Ratio(terms) = &expr.kind {
        let ratio = match shortest_ratio(terms) {
            Some(ratio) => ratio,
            None => {
                let value = normal(expr).ok_or_else(|| why_not(expr))?.to_expr();
                let sides = match value.kind {
                    ExprKind::Divide(above, below) => vec![*above, *below],
                    _ => vec![value, Expr::int(1)],
                };
                ExprKind::Ratio(sides).into()
            }
        };
        return Ok(in_steps(expr, vec![(ratio, Rule::ByLaw(Law::SharedFactor))]));
    }
    let value = normal(expr).ok_or_else(|| why_not(expr))?;
    let answer = as_typed(expr, &value).unwrap_or_else(|| value.to_expr());
    // A sine of a double angle over a sine of the angle: shorter when it is taken apart.
    let apart = double_angles(expr).filter(|apart| {
        normal(apart).is_some_and(|value| length(&value.to_expr()) < length(&answer))
    });
    if let Some(apart) = apart {
        let Worked { mut working, method, methods } = simplify(&apart)?;
        let given = |expr: &Expr, rule: &Rule, role| Draft::Line {
            line: Line::Expression(expr.clone()),
            reason: words::reason(rule),
            role,
        };
        let law = Rule::ByLaw(Law::DoubleAngle);
        working.0[0] = given(&apart, &law, Role::Follows);
        working.0.insert(0, given(expr, &Rule::Given, Role::Starts));
        return Ok(Worked { working, method, methods });
    }
    let constant = expr.symbols().is_empty();
    if *expr == answer || keeps_its_logarithms(expr, &answer) {
        let same = Line::Expression(expr.clone());
        return Ok(two(same.clone(), same, &Rule::IsSimplest));
    }
    let mut lines = if constant { number_lines(expr) } else { letter_lines(expr, &answer) };
    // Where laws end in something shorter than the usual form, that is the answer: `log xy`, `x^(5/6)`.
    let by_law = |(line, rule): &(Expr, Rule)| {
        matches!(rule, Rule::ByLaw(_)) && length(line) <= length(&answer)
    };
    let answer = match lines.last().filter(|last| !constant && by_law(last)) {
        Some((line, _)) => line.clone(),
        None => answer,
    };
    let written = |line: &Expr| *line == answer || text(line) == text(&answer);
    // The last line may be the answer already: its reason is the one that counts.
    match lines.iter().position(|(line, _)| written(line)) {
        Some(at) => {
            lines.truncate(at + 1);
            lines[at].0 = answer;
        }
        None => {
            let rule = closing_rule(lines.last().map_or(expr, |(line, _)| line), constant);
            lines.push((answer, rule));
        }
    }
    Ok(in_steps(expr, lines))
}

/// The lines between numbers and their value.
fn number_lines(expr: &Expr) -> Vec<(Expr, Rule)> {
    let found = rationalised(expr);
    if !found.is_empty() {
        return found;
    }
    let is_root = |part: &Expr| matches!(part.kind, ExprKind::Root { .. });
    if has_brackets(expr) && expr.any(&mut |part| is_root(part)) {
        let found = expanding(expr);
        if !found.is_empty() {
            return found;
        }
    }
    let law = |(line, law): (Expr, Law)| (line, Rule::ByLaw(law));
    let mut found: Vec<_> = by_laws_of_numbers(expr).into_iter().map(law).collect();
    let now = found.last().map_or(expr, |(line, _)| line).clone();
    found.extend(arithmetic(&now));
    // Where a power or a root is all there is, nothing comes before anything.
    let mut above = expr;
    for (line, rule) in &mut found {
        let is_all = matches!(
            above.kind,
            ExprKind::Power(..) | ExprKind::Root { .. } | ExprKind::Absolute(_)
        );
        if *rule == Rule::BracketsFirst && is_all && number_of_parts(above) {
            *rule = Rule::Evaluate;
        }
        above = line;
    }
    found
}

/// Whether an operation stands on numbers alone, nothing to be worked out inside.
fn number_of_parts(expr: &Expr) -> bool {
    expr.children().into_iter().all(|part| part.as_plain_number().is_some())
}

/// Whether the usual form would only write logarithms with another base.
fn keeps_its_logarithms(expr: &Expr, answer: &Expr) -> bool {
    let has = |expr: &Expr, wanted: Function| {
        expr.any(&mut |part| {
            matches!(&part.kind, ExprKind::Call { function, .. } if *function == wanted)
        })
    };
    !expr.symbols().is_empty()
        && has(expr, Function::Log)
        && has(answer, Function::Ln)
        && length(expr) <= length(answer)
        && by_laws(expr).is_empty()
}

/// The lines between an expression with letters and its simplest form.
fn letter_lines(expr: &Expr, answer: &Expr) -> Vec<(Expr, Rule)> {
    let law = |(line, law): (Expr, Law)| (line, Rule::ByLaw(law));
    let mut found: Vec<_> = by_laws(expr).into_iter().map(law).collect();
    let now = found.last().map_or(expr, |(line, _)| line).clone();
    let mut more = cancelled(&now, answer);
    if more.is_empty() {
        more = over_one_denominator(&now);
    }
    if more.is_empty() && has_brackets(&now) {
        more = expanding(&now);
    }
    found.extend(more);
    found
}

/// What the last step did, seen from the line above it.
fn closing_rule(above: &Expr, constant: bool) -> Rule {
    if constant {
        return match &above.kind {
            ExprKind::Call { function: Function::Hcf, .. } => Rule::SharedDivisor,
            ExprKind::Call { function: Function::Lcm, .. } => Rule::SharedMultiple,
            ExprKind::Call { .. } => Rule::ValuesOfFunctions,
            _ => Rule::Evaluate,
        };
    }
    match &above.kind {
        ExprKind::Add(..) | ExprKind::Subtract(..)
            if normal(above).is_some_and(|value| is_polynomial(&value)) =>
        {
            Rule::Collect
        }
        ExprKind::Divide(a, b) => match share(a, b) {
            Some(true) => Rule::Cancel,
            Some(false) => Rule::Collect,
            None => Rule::Simplify,
        },
        _ => Rule::Simplify,
    }
}

/// Whether two polynomials have a factor in common, a number or more; `None` where one is no polynomial.
fn share(a: &Expr, b: &Expr) -> Option<bool> {
    let (a, b) = (normal(a)?.as_poly()?, normal(b)?.as_poly()?);
    let common = gcd(&a, &b, &mut Budget::for_verdict()).ok()?;
    let numbers = (a.number_content(), b.number_content());
    let number = num_integer::gcd(numbers.0.numer().clone(), numbers.1.numer().clone());
    Some(common.as_constant().is_none() || !num_traits::One::is_one(&number))
}

/// Whether nothing but letters and numbers stands in it, and nothing below.
fn is_polynomial(value: &Quotient) -> bool {
    value.as_poly().is_some_and(|poly| poly.atoms().iter().all(|atom| atom.as_kernel().is_none()))
}

/// How many parts an expression has.
fn length(expr: &Expr) -> usize {
    let mut parts = 0;
    expr.any(&mut |_| {
        parts += 1;
        false
    });
    parts
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

/// A rational value as a decimal where the problem has decimals, as a mixed number where it has those; `None` where
/// it is written like any other.
fn as_typed(expr: &Expr, value: &Quotient) -> Option<Expr> {
    let value = value.as_constant().filter(|value| !value.is_integer())?;
    let has = |test: &dyn Fn(&Notation) -> bool| {
        expr.any(&mut |part| matches!(&part.kind, ExprKind::Number(w) if test(w.notation())))
    };
    let size = value.abs();
    let written: Expr = if has(&|notation| matches!(notation, Notation::Mixed { .. })) {
        let whole = size.to_integer();
        let part = size.fract();
        if num_traits::Zero::is_zero(&whole) {
            return None;
        }
        let mixed = Written::mixed(whole, part.numer().clone(), part.denom().clone())?;
        ExprKind::Number(mixed).into()
    } else if has(&|notation| matches!(notation, Notation::Decimal { .. })) {
        let places = decimal_places(&size).filter(|places| *places <= 8)?;
        Expr::decimal(&to_decimal_text(&size, places))
    } else {
        return None;
    };
    Some(if value.is_negative() { written.negative() } else { written })
}

/// A fraction of polynomials with both factorised, before what they share is cancelled; nothing where they share
/// nothing.
fn cancelled(expr: &Expr, answer: &Expr) -> Vec<(Expr, Rule)> {
    let ExprKind::Divide(above, below) = &expr.kind else { return Vec::new() };
    let poly = |side: &Expr| {
        let (none, mut budget) = (Values::new(), Budget::for_verdict());
        Normaliser::new(&none, &mut budget).build(side).ok()?.as_poly()
    };
    let (Some(a), Some(b)) = (poly(above), poly(below)) else { return Vec::new() };
    let (Ok(a), Ok(b)) = (factored(&a), factored(&b)) else { return Vec::new() };
    let line = a.over(b);
    let is_news = line != *expr && line != *answer;
    if is_news { vec![(line, Rule::Factorise)] } else { Vec::new() }
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
        reason: words::reason(&rule),
        role: Role::Follows,
    };
    let mut drafts = vec![Draft::Line {
        line: Line::Expression(expr.clone()),
        reason: words::reason(&Rule::Given),
        role: Role::Starts,
    }];
    drafts.extend(lines.into_iter().filter(|(line, _)| line != expr).map(draft));
    if let Some(Draft::Line { role, .. }) = drafts.last_mut() {
        *role = Role::Concludes;
    }
    Worked { working: Working(drafts), method: "usual".into(), methods: vec!["usual".into()] }
}

/// A line in one unknown, worked on a board; `told` is how its reasons write a part of it.
///
/// # Errors
/// As [`simplify`].
pub fn solve(
    line: &Line,
    letter: &str,
    method: Option<&str>,
    assumed: &Assumptions,
    told: fn(&Expr) -> Expr,
) -> Result<Worked, String> {
    let found = board(line, letter, method, assumed).map_err(|why| match why {
        algebra::solve::Unsolved::NotThisMethod => {
            "That method does not fit this problem.".to_owned()
        }
        _ => NO_FORM.to_owned(),
    })?;
    let draft = |step: Step| {
        let rule = match step.rule {
            Rule::TreatAsOne(part) => Rule::TreatAsOne(told(&part)),
            Rule::Isolate(part) => Rule::Isolate(told(&part)),
            Rule::DivideBoth(part) => Rule::DivideBoth(told(&part)),
            rule => rule,
        };
        let reason = match step.role {
            Role::MayAdd => format!("{}: check at the end", words::reason(&rule)),
            _ => words::reason(&rule),
        };
        Draft::Line { line: step.line, reason, role: step.role }
    };
    Ok(Worked {
        working: Working(found.steps.into_iter().map(draft).collect()),
        method: found.method.into(),
        methods: found.methods.into_iter().map(str::to_owned).collect(),
    })
}

/// A formula rearranged for one of its letters.
///
/// # Errors
/// As [`simplify`].
pub fn rearrange(line: &Line, letter: &str, assumed: &Assumptions) -> Result<Worked, String> {
    let values = formula_values(line, letter, assumed).ok_or(NO_FORM)?;
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
    let mut found = two(line.clone(), answer.clone(), &Rule::Isolate(Expr::symbol(letter)));
    let last = found.working.0.pop();
    let mut on_the_way = peeled(line, letter);
    if on_the_way.is_empty() {
        on_the_way = gathered(line, letter);
    }
    for (between, rule) in on_the_way {
        // The last step keeps its reason, and the answer its form.
        if (between == answer || is_solved_for(&between, letter))
            && let Some(Draft::Line { line, role, .. }) = last.clone()
        {
            let reason = words::reason(&rule);
            found.working.0.push(Draft::Line { line, reason, role });
            return Ok(found);
        }
        let reason = words::reason(&rule);
        found.working.0.push(Draft::Line { line: between, reason, role: Role::Follows });
    }
    found.working.0.extend(last);
    Ok(found)
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
type Way = fn(&Line) -> Option<Vec<Step>>;

/// A system with finitely many solutions.
///
/// # Errors
/// As [`simplify`].
pub fn system(line: &Line, method: Option<&str>) -> Result<Worked, String> {
    let ways: [(&str, Way); 3] = [
        ("elimination", eliminate),
        ("elimination", eliminate_three),
        ("substitution", substitute),
    ];
    let mut fitting: Vec<(&str, Vec<Step>)> =
        ways.into_iter().filter_map(|(name, work)| Some((name, work(line)?))).collect();
    if !fitting.is_empty() {
        let methods = fitting.iter().map(|(name, _)| (*name).to_owned()).collect();
        // Where a letter stands alone already, it is put in for.
        let usual = if is_isolated(line) { fitting.len() - 1 } else { 0 };
        let at = match method {
            None => usual,
            Some(wanted) => fitting
                .iter()
                .position(|(name, _)| *name == wanted)
                .ok_or("That method does not fit this problem.")?,
        };
        let (name, steps) = fitting.swap_remove(at);
        return Ok(Worked {
            working: Working(steps.into_iter().map(Draft::from).collect()),
            method: name.into(),
            methods,
        });
    }
    if method.is_some_and(|method| method != "usual") {
        return Err("That method does not fit this problem.".into());
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
