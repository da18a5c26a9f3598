//! Works a problem by algebra: solved, simplified, expanded, factorised or evaluated, every line proved.
//!
//! What cannot be worked is said, never guessed; and no line is given out that is not proved in its role.

mod of_skill;

pub(crate) use of_skill::{MethodDoesNotFit, OfSkill, one_unknown};

use algebra::budget::Budget;
use algebra::degrees::{in_degrees as in_degrees_written, in_radians, values_in_degrees};
use algebra::normal::{Normaliser, NotNormal, Values};
use algebra::solve::{Rule, as_derivative};
use algebra::write::text_line;
use algebra::{
    Assumptions, Condition, Expr, ExprKind, Line, Options, ReadError, Role, Setting, StepVerdict,
    compare_given, read_line, read_line_with,
};
use teaching::WorkingLine;
use teaching::ids::MethodId;
use teaching::tasks::{self, Worked};
use teaching::working::{Draft, Working};

/// Decimal places of an answer that does not end within them.
const PLACES: u32 = 6;

/// What is asked for.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Default)]
pub enum TaskKind {
    /// Whatever fits: an equation is solved, an expression simplified.
    #[default]
    Auto,
    /// The solutions.
    Solve,
    /// The simplest form.
    Simplify,
    /// A sum without brackets.
    Expand,
    /// A product.
    Factor,
    /// The value.
    Evaluate,
    /// The derivative.
    Differentiate,
}

impl TaskKind {
    /// All kinds.
    pub const ALL: [Self; 7] = [
        Self::Auto,
        Self::Solve,
        Self::Simplify,
        Self::Expand,
        Self::Factor,
        Self::Evaluate,
        Self::Differentiate,
    ];

    /// Its name on the command line.
    #[must_use]
    pub const fn name(self) -> &'static str {
        match self {
            Self::Auto => "auto",
            Self::Solve => "solve",
            Self::Simplify => "simplify",
            Self::Expand => "expand",
            Self::Factor => "factor",
            Self::Evaluate => "evaluate",
            Self::Differentiate => "differentiate",
        }
    }

    /// The kind of that name.
    #[must_use]
    pub fn named(name: &str) -> Option<Self> {
        Self::ALL.into_iter().find(|kind| kind.name() == name)
    }
}

/// A problem, and what is asked of it.
#[derive(Debug, Clone, Default)]
pub struct Task {
    /// What is asked for.
    pub kind: TaskKind,
    /// The problem as it is typed.
    pub problem: String,
    /// The method; the usual one when absent.
    pub method: Option<MethodId>,
    /// The letter that is asked for.
    pub unknown: Option<String>,
    /// What is assumed of its letters.
    pub assumed: Assumptions,
    /// Whether its angles are in degrees.
    pub degrees: bool,
    /// Whether it holds quantities with units.
    pub quantities: bool,
}

/// A worked problem.
#[derive(Debug, Clone, PartialEq)]
pub struct Solved {
    /// The last line of the working, in plain mathematics.
    pub answer: String,
    /// The values as decimals, when one of them is a number that is not whole.
    pub decimal: Option<String>,
    /// The lines, each proved.
    pub working: Vec<WorkingLine>,
    /// The method that was used.
    pub method: MethodId,
    /// Every method that fits.
    pub methods: Vec<MethodId>,
}

/// Why a problem has no working.
#[derive(Debug, Clone, PartialEq)]
pub enum NotSolved {
    /// It cannot be read.
    Unreadable(ReadError),
    /// One sentence that says why.
    Because(String),
}

impl From<String> for NotSolved {
    fn from(says: String) -> Self {
        Self::Because(says)
    }
}

impl From<&str> for NotSolved {
    fn from(says: &str) -> Self {
        Self::Because(says.into())
    }
}

/// Works a problem.
///
/// # Errors
/// [`NotSolved`] says why there is no working.
pub fn work(task: &Task) -> Result<Solved, NotSolved> {
    let options = Options { quantities: task.quantities, ..Options::default() };
    let line = read_line_with(&task.problem, options).map_err(NotSolved::Unreadable)?.line;
    if task.kind == TaskKind::Differentiate || is_derivative(task.kind, &line) {
        return differentiate(task, &line);
    }
    let worked = match (task.kind, &line) {
        (TaskKind::Simplify | TaskKind::Auto, Line::Expression(expr)) if !task.degrees => {
            tasks::simplify(expr)
        }
        (TaskKind::Evaluate, Line::Expression(expr)) if !task.degrees => tasks::evaluate(expr),
        (TaskKind::Expand, Line::Expression(expr)) => tasks::expand(expr),
        (TaskKind::Factor, Line::Expression(expr)) => tasks::factor(expr),
        (TaskKind::Simplify | TaskKind::Evaluate | TaskKind::Auto, Line::Expression(_)) => {
            return in_degrees(&line, &task.assumed, tasks::simplify_line);
        }
        (TaskKind::Solve | TaskKind::Auto, _) => return solve(task, &line),
        (TaskKind::Simplify | TaskKind::Expand | TaskKind::Factor | TaskKind::Evaluate, _) => {
            return Err("This task is for an expression, and the problem is none.".into());
        }
        (TaskKind::Differentiate, _) => return differentiate(task, &line),
    };
    given_out(worked, &Setting { unknown: None, assumed: task.assumed.clone() })
}

/// Whether `d/dx (…)` is all that is asked.
fn is_derivative(kind: TaskKind, line: &Line) -> bool {
    let wanted = matches!(kind, TaskKind::Auto | TaskKind::Simplify | TaskKind::Evaluate);
    wanted && matches!(line, Line::Expression(expr) if as_derivative(expr).is_some())
}

/// Differentiates for the letter that is asked for, the one of `d/dx`, or the only one.
fn differentiate(task: &Task, line: &Line) -> Result<Solved, NotSolved> {
    let told = match line {
        Line::Expression(expr) => as_derivative(expr).map(|(letter, _)| letter.to_owned()),
        _ => None,
    };
    let of = line.as_equation().map_or_else(|| line.symbols(), |(_, right)| right.symbols());
    let only = if of.len() == 1 { of.into_iter().next() } else { None };
    let letter = task.unknown.clone().or(told).or(only);
    let letter = letter.ok_or("Say by which letter it is to be differentiated.")?;
    let worked = tasks::differentiate(line, &letter);
    given_out(worked, &Setting { unknown: None, assumed: task.assumed.clone() })
}

/// Solves an equation, inequality, system or formula.
fn solve(task: &Task, line: &Line) -> Result<Solved, NotSolved> {
    let assumed = &task.assumed;
    let letters: Vec<String> = line.symbols().into_iter().collect();
    let unknown = task.unknown.clone().or_else(|| match &letters[..] {
        [only] => Some(only.clone()),
        _ => None,
    });
    if unknown.as_ref().is_some_and(|letter| !letters.contains(letter)) {
        return Err("The problem does not hold the letter asked for.".into());
    }
    let setting = Setting { unknown: unknown.clone(), assumed: assumed.clone() };
    let method = task.method;
    let worked = match (&unknown, letters.len()) {
        (_, 0) => Err("There is no unknown in this.".to_owned()),
        (Some(letter), 1) if task.degrees => {
            let letter = letter.clone();
            return in_degrees(line, assumed, move |line, assumed| {
                tasks::solve(line, &letter, None, assumed, in_degrees_told)
            });
        }
        (Some(letter), 1) => {
            // Linear equations and proportions have workings of their own.
            if assumed.is_empty()
                && !task.quantities
                && let Some(Ok(found)) = one_unknown(line, method)
            {
                return Ok(found.into());
            }
            tasks::solve(line, letter, method, assumed, Expr::clone)
        }
        (Some(letter), _) => {
            let found = tasks::rearrange(line, letter, assumed);
            let assumed_more = Assumptions { all_positive: true, ..assumed.clone() };
            // A formula about lengths and times: where it takes positive letters, that is said.
            match found {
                Err(_) if !assumed.all_positive => {
                    let setting = Setting { assumed: assumed_more.clone(), ..setting };
                    let found = tasks::rearrange(line, letter, &assumed_more);
                    return given_out(found.map(Worked::for_positive_letters), &setting);
                }
                found => found,
            }
        }
        (None, _) if matches!(line, Line::AllOf(_)) => tasks::system(line, method),
        (None, _) => {
            Err("There is more than one letter in this: say which one is asked for.".into())
        }
    };
    given_out(worked, &setting)
}

impl From<OfSkill> for Solved {
    fn from(found: OfSkill) -> Self {
        let answer = found.working.last().map(|line| line.math.clone()).unwrap_or_default();
        Self {
            decimal: read_line(&answer).ok().and_then(|reading| decimals(&reading.line)),
            answer,
            method: found.method.id,
            methods: found.fitting.iter().map(|method| method.id).collect(),
            working: found.working,
        }
    }
}

/// A working that is proved line by line, or why there is none.
fn given_out(worked: Result<Worked, String>, setting: &Setting) -> Result<Solved, NotSolved> {
    let worked = with_restrictions(worked?, setting);
    let (working, answer) = proved(&worked.working, setting)
        .ok_or("This could not be worked: a line of it was not proved, so none is given.")?;
    Ok(Solved {
        decimal: decimals(&answer),
        answer: text_line(&answer),
        method: worked.method,
        methods: worked.methods,
        working,
    })
}

/// Where something was cancelled, the last line says for which values it is left out: `x + 3`, for x ≠ 3.
fn with_restrictions(mut worked: Worked, setting: &Setting) -> Worked {
    let [Draft::Line { line: first, .. }, .., Draft::Line { line: last, reason, .. }] =
        &mut worked.working.0[..]
    else {
        return worked;
    };
    let (Line::Expression(_), Line::Expression(end), StepVerdict::Equivalent { mut provided }) =
        (&*first, &*last, compare_given(first, last, setting))
    else {
        return worked;
    };
    // What the last line still shows by itself is not said.
    provided.retain(|condition| match condition {
        Condition::Not { letter, value } => has_value(&end.with(letter, &Expr::rational(value))),
        _ => false,
    });
    if !provided.is_empty() {
        reason.says = format!("{}, for {}", reason.says, teaching::words::domain(&provided));
    }
    worked
}

/// Whether an expression without letters has a value.
fn has_value(expr: &Expr) -> bool {
    let (none, mut budget) = (Values::new(), Budget::for_verdict());
    Normaliser::new(&none, &mut budget).build(expr) != Err(NotNormal::Undefined)
}

/// The lines, proved; when one in the middle is not, only the problem and the answer, if these are.
fn proved(working: &Working, setting: &Setting) -> Option<(Vec<WorkingLine>, Line)> {
    let answer = working.last_line()?.clone();
    if let Ok(lines) = working.verified_in(setting) {
        return Some((lines, answer));
    }
    let [first, .., last] = &working.0[..] else { return None };
    let mut last = last.clone();
    if let Draft::Line { reason, role, .. } = &mut last {
        *role = Role::Concludes;
        *reason = Rule::FindSolutions.into();
    }
    let short = Working(vec![first.clone(), last]);
    short.verified_in(setting).ok().map(|lines| (lines, answer))
}

/// Works a problem whose angles are in degrees: its own line is shown, the rewritten one is worked.
fn in_degrees(
    line: &Line,
    assumed: &Assumptions,
    work: impl FnOnce(&Line, &Assumptions) -> Result<Worked, String>,
) -> Result<Solved, NotSolved> {
    let meant = in_radians(line);
    let worked = work(&meant, assumed);
    let drafts = worked.as_ref().map(|worked| worked.working.0.clone()).unwrap_or_default();
    let setting = Setting { unknown: None, assumed: assumed.clone() };
    let mut found = given_out(worked, &setting)?;
    // What was proved is in radians. A line between is shown in degrees where that says the same, and says it once.
    let last = found.working.len().saturating_sub(1);
    let mut shown: Vec<WorkingLine> = Vec::new();
    for (at, mut solved) in std::mem::take(&mut found.working).into_iter().enumerate() {
        if at > 0 && at < last {
            let Some(Draft::Line { line: proved, .. }) = drafts.get(at) else { continue };
            let Some(degrees) = degrees_shown(proved, &setting) else { continue };
            solved.write(&degrees);
            let is_told = shown.last().is_some_and(|above| above.math == solved.math);
            if is_told || solved.math == found.answer || solved.math == text_line(line) {
                continue;
            }
        }
        shown.push(solved);
    }
    // The answer is written with inverse functions that give degrees: what is told is proved to be what was found.
    if let Some((solved, Draft::Line { line: proved, .. })) = shown.last_mut().zip(drafts.last()) {
        let told = values_in_degrees(proved);
        let is_same = compare_given(proved, &in_radians(&told), &setting);
        if !matches!(is_same, StepVerdict::Equivalent { .. }) {
            return Err(tasks::NO_FORM.into());
        }
        if told != *proved {
            solved.write(&told);
            found.answer.clone_from(&solved.math);
        }
    }
    found.working = shown;
    if let Some(first) = found.working.first_mut() {
        first.write(line);
    }
    if let Some(last) = found.working.last_mut() {
        last.role = Role::Concludes;
    }
    Ok(found)
}

/// An expression of a reason, in degrees.
fn in_degrees_told(expr: &Expr) -> Expr {
    match in_degrees_written(&Line::Expression(expr.clone())) {
        Some(Line::Expression(told)) => told,
        _ => expr.clone(),
    }
}

/// A line in radians as it reads in degrees, where it is proved to say the same.
fn degrees_shown(proved: &Line, setting: &Setting) -> Option<Line> {
    let degrees = in_degrees_written(proved)?;
    let is_same = compare_given(proved, &in_radians(&degrees), setting);
    matches!(is_same, StepVerdict::Equivalent { .. }).then_some(degrees)
}

/// The values of an answer as decimals, parted by commas; `None` when each is whole.
#[must_use]
pub fn decimals(answer: &Line) -> Option<String> {
    let values: Vec<&Expr> = match answer {
        Line::Expression(Expr { kind: ExprKind::Ratio(_), .. }) => return None,
        Line::Expression(value) => vec![value],
        Line::Relations { .. } => vec![answer.as_equation()?.1],
        Line::AnyOf(lines) => {
            lines.iter().map(|line| Some(line.as_equation()?.1)).collect::<Option<_>>()?
        }
        _ => return None,
    };
    if values.iter().all(|value| tasks::is_whole(value)) {
        return None;
    }
    let texts: Option<Vec<String>> =
        values.iter().map(|value| tasks::decimal(value, PLACES)).collect();
    texts.map(|texts| texts.join(", "))
}
