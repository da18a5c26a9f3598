//! A problem in mathematics, with or without a word that says what to do: the working that the solver finds, and the
//! skill it belongs to.

use super::{CAN_DO, MethodChoice, NoWorking, TypedWorking, no, rung};
use crate::solving::{self, Task, TaskKind};
use algebra::write::latex_line;
use algebra::{Expr, ExprKind, Line, Options, read_line, read_line_with};
use teaching::ids::MethodId;
use teaching::words::{capital, unreadable};

/// Words that say what to do, and the task they stand for.
const VERBS: &[(&str, TaskKind)] = &[
    ("solve", TaskKind::Solve),
    ("simplify", TaskKind::Simplify),
    ("collect", TaskKind::Simplify),
    ("rationalise", TaskKind::Simplify),
    ("rationalize", TaskKind::Simplify),
    ("expand", TaskKind::Expand),
    ("multiply out", TaskKind::Expand),
    ("factorise", TaskKind::Factor),
    ("factorize", TaskKind::Factor),
    ("factor", TaskKind::Factor),
    ("evaluate", TaskKind::Evaluate),
    ("calculate", TaskKind::Evaluate),
    ("work out", TaskKind::Evaluate),
    ("compute", TaskKind::Evaluate),
];

/// The word that says what to do with its task, where there is one, and with what.
pub(super) fn parted(problem: &str) -> (Option<(&'static str, TaskKind)>, &str) {
    let trimmed = problem.trim().trim_end_matches('.');
    for &(verb, task) in VERBS {
        let begins =
            trimmed.get(..verb.len()).is_some_and(|begin| begin.eq_ignore_ascii_case(verb));
        if begins && trimmed[verb.len()..].starts_with([' ', ':', '(']) {
            return (Some((verb, task)), trimmed[verb.len()..].trim_start_matches([' ', ':']));
        }
    }
    (None, trimmed)
}

/// `solve A = bh/2 for h`, `make h the subject of A = bh/2`: what stands between, and the letter.
fn for_letter(problem: &str) -> (&str, Option<String>) {
    let is_letter = |text: &str| text.chars().count() == 1 && text.chars().all(char::is_alphabetic);
    if let Some((before, letter)) = problem.rsplit_once(" for ")
        && is_letter(letter.trim())
    {
        return (before, Some(letter.trim().to_owned()));
    }
    let lowered = problem.to_lowercase();
    if lowered.starts_with("make ")
        && let Some(at) = lowered.find(" the subject of ")
        && let Some(letter) = problem.get(5..at).filter(|letter| is_letter(letter))
        && let Some(rest) = problem.get(at + " the subject of ".len()..)
    {
        return (rest, Some(letter.to_owned()));
    }
    (problem, None)
}

/// The working of a problem, by `method` or the usual one.
///
/// # Errors
/// [`NoWorking`] with a sentence that says what to do.
pub(super) fn work(problem: &str, method: Option<MethodId>) -> Result<TypedWorking, NoWorking> {
    let (asked, letter) = for_letter(problem);
    let (told, rest) = parted(asked);
    let task = told.map(|(_, task)| task);
    let reading = read_line(rest).map_err(|error| NoWorking {
        says: unreadable(&error),
        // A place counts from the beginning of what was typed.
        at: problem.find(rest).map(|from| (error.span.start + from, error.span.end + from)),
        mend: error.mend,
    })?;
    if matches!(reading.line, Line::Sentence(_)) {
        return Err(no(format!("This could not be worked. {CAN_DO}")));
    }
    let letters: Vec<String> = reading.line.symbols().into_iter().collect();
    // Words that were read as letters are no expression that anybody meant.
    if task.is_none() && matches!(reading.line, Line::Expression(_)) && letters.len() > 3 {
        return Err(no(format!("This could not be worked. {CAN_DO}")));
    }
    let task = Task {
        kind: task.unwrap_or_default(),
        problem: rest.to_owned(),
        method,
        unknown: letter.or_else(|| letters.first().filter(|_| letters.len() == 1).cloned()),
        ..Task::default()
    };
    solved(problem, &task, method, "")
}

/// A problem that the solver works, by `method` where it fits; `skill` where it is known.
///
/// # Errors
/// [`NoWorking`] when the solver does not work it.
pub(super) fn solved(
    problem: &str,
    task: &Task,
    method: Option<MethodId>,
    skill: &'static str,
) -> Result<TypedWorking, NoWorking> {
    let cannot = || no(format!("This could not be worked. {CAN_DO}"));
    let options = Options { quantities: task.quantities, ..Options::default() };
    let line = read_line_with(&task.problem, options).map_err(|_| cannot())?.line;
    let chosen = Task { method: method.or(task.method), ..task.clone() };
    let found = solving::work(&chosen).or_else(|_| solving::work(task));
    let found = found.ok().filter(|found| !found.working.is_empty()).ok_or_else(cannot)?;
    let kind = (task.kind != TaskKind::Auto).then_some(task.kind);
    let skill_id = if skill.is_empty() { skill_of(&line, kind) } else { skill };
    let card = crate::find(skill_id).map(|skill| skill.card()).ok_or_else(|| no(CAN_DO))?;
    let title = |id: MethodId| {
        let known = card.methods.iter().find(|method| method.id == id);
        known.map_or_else(|| spelled(id.as_str()), |method| method.title.to_owned())
    };
    let choice = |id: &MethodId| MethodChoice { id: *id, title: title(*id) };
    let latex = latex_line(&line);
    // The mathematics within the words is typeset.
    let prompt = match problem.split_once(task.problem.as_str()) {
        Some((before, after)) if !before.trim().is_empty() || !after.trim().is_empty() => {
            rung::sentence(&format!("{}\u{1}{}", before.replace('$', ""), after.replace('$', "")))
                .replace('\u{1}', &format!("${latex}$"))
        }
        _ => rung::prompt(problem, &line, &latex),
    };
    let answer = rung::answer(problem, &line, &found.working).ok_or_else(cannot)?;
    Ok(TypedWorking {
        problem: problem.trim().to_owned(),
        understood: None,
        given: Vec::new(),
        prompt,
        answer,
        latex,
        skill: card.id.into(),
        title: card.title.into(),
        method: found.method,
        methods: found.methods.iter().map(choice).collect(),
        working: found.working,
    })
}

/// `complete-the-square` as it is said.
fn spelled(id: &str) -> String {
    capital(&id.replace('-', " "))
}

fn any(line: &Line, is: fn(&Expr) -> bool) -> bool {
    line.expressions().iter().any(|side| side.any(&mut |part| is(part)))
}

fn has_letter(expr: &Expr) -> bool {
    !expr.symbols().is_empty()
}

/// The skill that a line belongs to, by what stands in it.
fn skill_of(line: &Line, task: Option<TaskKind>) -> &'static str {
    let below = |part: &Expr| matches!(&part.kind, ExprKind::Divide(_, b) if has_letter(b));
    let rooted =
        |part: &Expr| matches!(&part.kind, ExprKind::Root { radicand, .. } if has_letter(radicand));
    let in_bars = |part: &Expr| matches!(&part.kind, ExprKind::Absolute(a) if has_letter(a));
    let in_exponent = |part: &Expr| matches!(&part.kind, ExprKind::Power(_, b) if has_letter(b));
    let squared = |part: &Expr| matches!(&part.kind, ExprKind::Power(a, _) if has_letter(a));
    match line {
        Line::AllOf(_) => return "systems.linear",
        Line::Expression(value) => return skill_of_value(value, task),
        _ => {}
    }
    if line.as_equation().is_none() {
        return "inequalities.linear";
    }
    let turned = |part: &Expr| matches!(part.kind, ExprKind::Call { .. }) && has_letter(part);
    if any(line, in_bars) {
        "equations.absolute"
    } else if any(line, turned) {
        "trig.angle"
    } else if any(line, rooted) {
        "equations.radical"
    } else if any(line, in_exponent) {
        "exponential.solve"
    } else if line.symbols().len() > 1 {
        "equations.rearrange"
    } else if any(line, below) {
        "equations.rational"
    } else if any(line, squared) || any(line, is_product_of_letters) {
        "equations.quadratic"
    } else {
        "equations.linear"
    }
}

fn is_product_of_letters(part: &Expr) -> bool {
    matches!(&part.kind, ExprKind::Multiply(a, b) if has_letter(a) && has_letter(b))
}

fn skill_of_value(value: &Expr, task: Option<TaskKind>) -> &'static str {
    let has = |is: fn(&Expr) -> bool| value.any(&mut |part| is(part));
    let letters = has_letter(value);
    let rooted = has(|part| matches!(part.kind, ExprKind::Root { .. }));
    match task {
        Some(TaskKind::Expand) => return "expressions.expand",
        Some(TaskKind::Factor) if letters => return "expressions.factorise",
        Some(TaskKind::Factor) => return "primes.factor-tree",
        _ => {}
    }
    if rooted && matches!(value.kind, ExprKind::Root { .. }) {
        "radicals.simplify"
    } else if rooted {
        "radicals.operate"
    } else if letters && has(|part| matches!(part.kind, ExprKind::Power(..))) {
        "indices.laws"
    } else if letters && has(is_product_of_sums) {
        "expressions.expand"
    } else if letters {
        "expressions.like-terms"
    } else if has(|part| matches!(part.kind, ExprKind::Percent(_))) {
        "percent.part"
    } else {
        skill_of_numbers(value)
    }
}

fn is_product_of_sums(part: &Expr) -> bool {
    let is_sum = |e: &Expr| matches!(e.kind, ExprKind::Add(..) | ExprKind::Subtract(..));
    matches!(&part.kind, ExprKind::Multiply(a, b) if is_sum(a) || is_sum(b))
}

fn skill_of_numbers(value: &Expr) -> &'static str {
    let is_fraction = |e: &Expr| e.any(&mut |part| matches!(part.kind, ExprKind::Divide(..)));
    let is_plain = |e: &Expr| e.as_plain_number().is_some();
    let is_negative = |e: &Expr| e.any(&mut |part| matches!(part.kind, ExprKind::Negative(_)));
    match &value.kind {
        ExprKind::Power(..) => "indices.laws",
        ExprKind::Divide(a, b) if is_plain(a) && is_plain(b) => "fractions.lowest-terms",
        ExprKind::Divide(..) => "fractions.multiply-divide",
        ExprKind::Add(a, b) | ExprKind::Subtract(a, b) if is_fraction(a) || is_fraction(b) => {
            if is_negative(value) {
                "rationals.operate"
            } else {
                "fractions.add-subtract"
            }
        }
        ExprKind::Multiply(a, b) if is_fraction(a) || is_fraction(b) => "fractions.multiply-divide",
        ExprKind::Multiply(a, b) if is_plain(a) && is_plain(b) => "multiply.facts-signed",
        ExprKind::Add(a, b) | ExprKind::Subtract(a, b) if is_plain(a) && is_plain(b) => {
            if is_negative(value) {
                "integers.add-subtract"
            } else {
                "add-sub.column"
            }
        }
        _ => "operations.order-brackets",
    }
}
