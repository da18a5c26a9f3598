//! Mathematics behind words that say what to do with it: the solver does it.

use super::{Answer, Found, TaskKind, Told, formula};
use crate::algebra::equations_quadratic::method as quadratic;
use crate::solving::{Task, TaskKind as Solving, work};
use crate::typed::text::Amount;
use algebra::form::Form;
use algebra::write::{latex, text};
use algebra::{Assumptions, Expr, Line, read_line};
use std::collections::BTreeSet;
use teaching::ids::MethodId;
use teaching::typeset::Lines;

#[rustfmt::skip]
pub(super) const KINDS: &[TaskKind] = &[
    TaskKind::beside("functions.model", "Differentiating", &[
        "differentiate @", "derivative of @", "find derivative of @", "dy / dx of|for|when|if|given @",
        "find? dy / dx of|for|when|if|given|where @", "if @ find dy / dx", "@ find dy / dx", "find f' ( x ) if|when|for|given @",
        "if @ find f' ( x )", "@ find f' ( x )", "differentiate @ with respect to x", "gradient function of @",
    ], derived),
    TaskKind::beside("equations.linear", "Where a function has a value", &[
        "given|if|let? that? @ solve equation? @ = #", "given|if|let? that? @ for what x is @ = #",
        "given|if|let? that? @ find value? of? x when|if|where|for which? @ = #",
    ], has_value),
    TaskKind::beside("functions.model", "Inverse functions", &[
        "inverse function? of @", "inverse of function @", "if? @ find inverse function?", "find f^-1(x) if|when|for|given @",
        "find f⁻¹(x) if|when|for|given @",
    ], inverse),
    TaskKind::beside("functions.model", "Functions", &[
        "if|given|when|let? @ find|what|evaluate|calculate|then value? of? is? @", "@ find|evaluate|calculate @", "@ work out @",
        "if|given|let? @ work out @", "find|evaluate @ if|when|where|given|for @", "what is @ if|when|where|given @", "if @ what is @",
        "@ what is @",
    ], of_function),
    equation("Equations", &[
        "solve @ by factorising|factorizing|factoring|factorisation|factorization",
        "solve by factorising|factorizing|factoring|factorisation|factorization @", "solve equation? @ by factorising|factoring",
        "factorise|factorize|factor and? solve @", "factorise|factorize|factor to solve @",
    ], |f| by(f, quadratic::FACTOR)),
    equation("Equations", &[
        "solve equation? @ using|by|with quadratic? formula", "solve using|by|with quadratic? formula @",
        "use quadratic? formula to solve @", "quadratic formula @",
    ], |f| by(f, quadratic::FORMULA)),
    equation("Equations", &[
        "solve equation? @ by|using completing square", "solve by|using completing square @", "complete square to solve @",
    ], |f| by(f, quadratic::COMPLETE_THE_SQUARE)),
    equation("Equations", &[
        "solve equation? @ for|where|when|in|given|with|between range|interval? @",
        "solve equation? @ for|where|when|given? values? of? x? in|between range|interval? @",
        "find x if|when|given @ for|where|and|with|in? @", "solve? @ find _ for|where|in|from|between @", "find all? solutions of|to @ for|where|in|between @",
        "find? all? values? of? x? for|where|such which|that? @ for|where|in|between @",
    ], in_range),
    equation("Equations", &[
        "find angle _ if|when|given|such that? @", "find acute? angle _ @", "find angle @", "angle _ if|when @",
        "find _ if|when|given @ and? _ is? acute|obtuse", "find acute|obtuse angle _ if|when|such|for|with that|which? @",
        "solve @ _ is? acute|obtuse", "find acute|obtuse _ if|when|such that? @", "@ _ is? acute|obtuse find _",
        "if @ and _ is acute|obtuse find _",
    ], sized),
    equation("Simultaneous equations", &[
        "solve simultaneous|these|pair|system|equations of? simultaneous|equations? equations? @ and @",
        "solve simultaneously|together @ and @", "solve @ and @", "simultaneous equations @ and @",
        "find x and y if|when|given|where @ and @", "@ and @ find x and y",
        "where do|does lines|graphs|line? @ and @ meet|cross|intersect", "intersection|point of lines|intersection|graphs? of? @ and @",
        "point where @ and @ meet|cross|intersect",
    ], together),
    equation("Simultaneous equations", &[
        "solve simultaneous|these|system equations? @", "solve simultaneously @", "simultaneous equations @",
    ], together),
    equation("Equations", &[
        "solve equation|inequality|inequation|proportion|quadratic|linear|exponential|cubic|trigonometric? equation|inequality? @",
        "solve for _ @", "solve for _ in? @", "find? value of _ : @", "find? value of _ , @",
        "which value of _ makes|satisfies|solves @ true?", "find _ in equation? @", "find _ : @", "_ : @", "find _ , @",
        "_ if|when|given|where|such that? @", "what value of _ makes|satisfies|solves @ true?",
        "what|which number makes|satisfies|solves @ true?", "value of _ that? makes|satisfies|solves @ true?",
        "what does _ have to be if @", "find _ if|when|given|where|such that? @", "find value of _ if|when|in|given|where @",
        "value of _ if|when|in @", "what is value? of? _ if|when|in @", "what is _ if|when|in @", "what does _ equal if|when|in @",
        "if @ find _", "if @ what is _", "if @ then? what? is? value? of? _", "given that? @ find _", "given that? @ work out _",
        "@ find value? of? _", "@ what is _", "@ solve for _", "@ solve", "find missing|unknown number @", "missing number @",
        "find all? solution|root|roots|solutions of|to @", "roots|zeros|solutions|solution|root of|to equation|function? @", "find zeros of @",
    ], solved),
    TaskKind::beside("expressions.expand", "Expanding", &[
        "expand brackets? in|of? @", "multiply|expand out brackets? in|of? @", "expand @ and simplify", "expand and simplify @",
        "multiply out and simplify @", "remove brackets|parentheses in|from @", "expand fully @", "multiply out brackets? @", "expand @",
    ], |f| by_task(f, Solving::Expand, "expanded")),
    TaskKind::beside("expressions.factorise", "Factorising", &[
        "factorise|factorize|factor fully|completely|out? @", "factor|factorise|take out common|highest factor? factor? of|from|in? @",
        "fully|completely factorise|factorize|factor @", "factorise|factorize|factor @ fully|completely",
        "write @ as product of its? factors", "take out common|highest factor? factor? of? @",
        "factorise|factorize|factor expression|quadratic|trinomial @", "difference of two squares @",
        "factorise|factorize|factor by grouping @", "factorise|factorize|factor @",
    ], factored),
    TaskKind::beside("expressions.factorise", "Completing the square", &[
        "complete square for|of|on|in @", "complete square @", "write|express @ in|as completed? square form", "write|express @ in form @",
        "write|express @ by completing square", "write @ as completed square", "completed square form of @",
        "write|express|put @ in vertex form",
    ], completed),
    TaskKind::beside("expressions.like-terms", "Simplifying", &[
        "simplify|collect|combine like terms in|of? @", "collect terms @", "simplify by collecting like terms @",
        "collect|combine like terms @", "simplify expression|fully|completely|fraction|surd|surds? @", "simplify @ fully|completely",
        "simplify @", "write @ in simplest|its|simplified simplest? form", "write|express @ as single fraction",
        "write|express as single fraction @", "combine into single fraction @", "write|express as one fraction @",
        "put over common denominator @", "write|express @ as simple|single surd", "write @ as simplified surd",
        "rationalise|rationalize denominator|denominators? of|in? @", "rationalise|rationalize @",
        "simplify and? rationalise|rationalize @", "write @ without surd|root in denominator", "write|express @ as single logarithm|log",
        "write|express as single logarithm|log @", "use laws of indices to simplify @", "write|express @ as power of #",
        "write @ in its simplest form", "simplest form of @",
    ], |f| by_task(f, Solving::Simplify, "simplified")),
    TaskKind::beside("indices.laws", "Laws of indices", &[
        "write|express|give|simplify @ as single power", "write|express|give as single power of # @",
        "write|express|give as single power @", "write|express @ as single power of #", "simplify @ in index form",
        "simplify leaving|giving answer? in|as index|power form @", "@ in index form", "@ as single power",
        "write|express @ as power of #",
    ], single_power),
    TaskKind::beside("trig.side", "Sine, cosine, tangent", &[
        "exact? value? of? sin|cos|tan #", "exact? value? of? sine|cosine|tangent of #",
    ], in_degrees),
    TaskKind::beside("operations.order-brackets", "Working out", &[
        "evaluate|calculate|compute value? of? @", "work out value? of? @", "find exact? value of @", "what is exact? value of @",
        "exact value of @", "value of @", "calculate @", "how much is @", "what does @ equal", "what is @", "find @",
        "evaluate @ without calculator", "work out @ without calculator", "@ = what", "@ equals what",
    ], valued),
    TaskKind::beside("operations.order-brackets", "Substituting", &[
        "evaluate|find|calculate value? of? @ when|if|for|where|given|with that? =,", "value of @ when|if|for|where|given|with =,",
        "@ when|if|for|where =,", "if|when|given|let =, evaluate|find|calculate|what value? is? value? of? @",
        "if|when|given|let =, work out value? of? @", "if|when|given =, what is value? of? @",
        "find _ when|if =, if|when|given|and|for|where|in @", "find _ if|when|given|where @ when|if|and|where =,",
        "if|given|when? @ find _ when|if|where =,", "if|given? @ what is _ when|if =,", "@ work out _ when|if =,",
        "substitute =, in|into @", "put =, in|into @", "work out value? of? @ when|if|for|where =,", "=, find|evaluate value? of? @",
        "=, work out @", "=, what is @",
    ], substituted),
    TaskKind::beside("functions.model", "Differentiating", &[
        "gradient|slope of curve|graph|tangent|function? to? @ at|when =,", "gradient|slope of tangent to curve? @ at|when =,",
        "derivative of @ at|when =,", "differentiate @ at =,",
    ], derived_at),
    TaskKind::beside("equations.rearrange", "Rearranging", &[
        "make _ subject of|in formula|equation? @", "make _ subject @", "rearrange @ for|to _", "rearrange @ to make _ subject",
        "rearrange to make _ subject @", "rearrange formula|equation? @ to find|get _", "solve @ for _", "solve formula|equation? @ for _",
        "express _ in terms of _ if|when|from @", "write @ in terms of _", "@ make _ subject", "change subject of @ to _",
        "rearrange formula @ to make _ subject", "rearrange formula|equation @ for _", "transpose @ for|to? make? _ subject?",
        "solve for _ @", "isolate _ in @",
    ], rearranged),
];

const fn equation(
    topic: &'static str,
    wordings: &'static [&'static str],
    told: fn(&Found) -> Option<Told>,
) -> TaskKind {
    TaskKind::beside("", topic, wordings, told)
}

/// Whether a text is mathematics and no sentence.
fn line(typed: &str) -> Option<Line> {
    let line = read_line(typed).ok()?.line;
    (!matches!(line, Line::Sentence(_)) && line.symbols().len() <= 8).then_some(line)
}

fn is_relation(line: &Line) -> bool {
    !matches!(line, Line::Expression(_) | Line::Sentence(_))
}

/// One letter, or a name that is no word.
fn letter(word: &str) -> Option<String> {
    (word.chars().count() == 1 && word.chars().all(char::is_alphabetic)).then(|| word.to_owned())
}

/// The letter that a wording asks for, when the problem has it.
fn asked(found: &Found, line: &Line) -> Option<String> {
    let letters = line.symbols();
    found.names.iter().rev().filter_map(|word| letter(word)).find(|one| letters.contains(one))
}

/// A task that the solver can do; a wording that only seems to fit is none.
fn told(says: String, task: Task) -> Option<Told> {
    work(&task).is_ok().then(|| Told::solver(says, task))
}

fn by(found: &Found, method: MethodId) -> Option<Told> {
    let typed = found.text()?;
    is_relation(&line(typed)?).then_some(())?;
    let task = Task {
        kind: Solving::Solve,
        problem: typed.to_owned(),
        method: Some(method),
        ..Task::default()
    };
    // Where the method does not fit, the usual one does it.
    told(format!("{typed}, solved"), task.clone())
        .or_else(|| told(format!("{typed}, solved"), Task { method: None, ..task }))
}

/// `0 ≤ x < 360`, `0 and 360`, `[0, 2π]`: as an assumption about a letter.
fn range(typed: &str, letter: &str) -> Option<String> {
    let typed = typed.replace('≤', "<=").replace('°', "").replace("degrees", "");
    let typed = typed.trim();
    if typed.contains('<') || typed.contains('>') {
        return Some(typed.to_owned());
    }
    if let Some((low, high)) = typed.split_once(" and ").or_else(|| typed.split_once(" to ")) {
        return Some(format!("{low} <= {letter} <= {high}"));
    }
    let inner = typed.strip_prefix(['[', '('])?.strip_suffix([']', ')'])?;
    let (low, high) = inner.split_once(',')?;
    let (open, close) = (
        if typed.starts_with('[') { "<=" } else { "<" },
        if typed.ends_with(']') { "<=" } else { "<" },
    );
    Some(format!("{low} {open} {letter} {close} {high}"))
}

fn in_range(found: &Found) -> Option<Told> {
    let [typed, interval] = &found.texts[..] else { return None };
    let problem = line(typed).filter(is_relation)?;
    let letters = problem.symbols();
    let letter = letters.first().filter(|_| letters.len() == 1)?;
    let assumed = range(interval, letter)?;
    assumed_in(typed, &assumed, !interval.contains(['π', 'p']))
}

fn assumed_in(typed: &str, assumption: &str, degrees: bool) -> Option<Told> {
    let assumed = Assumptions::read([assumption]).ok()?;
    let is_turned = ["sin", "cos", "tan", "sec", "csc", "cot"]
        .iter()
        .any(|name| typed.to_lowercase().contains(name));
    let task = Task {
        kind: Solving::Solve,
        problem: typed.to_owned(),
        assumed,
        degrees: is_turned && degrees,
        ..Task::default()
    };
    let given = if task.degrees { in_radians(assumption) } else { assumption.to_owned() };
    let found = told(format!("{typed}, solved for {assumption}"), task)?;
    Some(Told { given: vec![given], ..found })
}

/// `0 <= x < 360` with its bounds in radians: `(0)π/180 <= x < (360)π/180`.
fn in_radians(assumption: &str) -> String {
    let is_number = |word: &&str| word.parse::<f64>().is_ok();
    let spaced = ["<=", ">=", "<", ">"].iter().fold(assumption.to_owned(), |text, sign| {
        if *sign == "<" || *sign == ">" { text } else { text.replace(sign, &format!(" {sign} ")) }
    });
    let parts: Vec<String> = spaced
        .split_whitespace()
        .map(|word| if is_number(&word) { format!("{word}π/180") } else { word.to_owned() })
        .collect();
    parts.join(" ")
}

fn sized(found: &Found) -> Option<Told> {
    let typed = found.text()?;
    let problem = line(typed).filter(is_relation)?;
    let letters = problem.symbols();
    let letter = letters.first().filter(|_| letters.len() == 1)?;
    let is_obtuse = found.words.iter().any(|word| word == "obtuse");
    let range =
        if !is_obtuse { format!("0 < {letter} < 90") } else { format!("90 < {letter} < 180") };
    let told = assumed_in(typed, &range, true)?;
    Some(Told { marks_degrees: true, ..told })
}

fn together(found: &Found) -> Option<Told> {
    let typed = match &found.texts[..] {
        [one, other] => format!("{one}; {other}"),
        [one] => one.replace(',', ";"),
        _ => return None,
    };
    let parts: Vec<&str> = typed.split(';').collect();
    if parts.len() < 2
        || !parts.iter().all(|part| line(part).is_some_and(|line| line.as_equation().is_some()))
    {
        return None;
    }
    told(
        format!(
            "{} together",
            super::joined(&parts.iter().map(|part| part.trim()).collect::<Vec<_>>())
        ),
        Task { kind: Solving::Solve, problem: typed.clone(), ..Task::default() },
    )
}

fn solved(found: &Found) -> Option<Told> {
    let typed = found.text()?;
    let problem = match line(typed)? {
        Line::Expression(expr)
            if expr.symbols().len() == 1
                && found.words.iter().any(|word| {
                    matches!(word.as_str(), "roots" | "zeros" | "solutions" | "root")
                }) =>
        {
            format!("{} = 0", text(&expr))
        }
        line if is_relation(&line) => typed.to_owned(),
        _ => return None,
    };
    // Zeros of y = x² - 9 are where y is 0.
    let problem = match problem.strip_prefix("y = ") {
        Some(rest)
            if found
                .words
                .iter()
                .any(|word| matches!(word.as_str(), "roots" | "zeros" | "root")) =>
        {
            format!("{rest} = 0")
        }
        _ => problem,
    };
    let read = line(&problem)?;
    let letters = read.symbols();
    let unknown = if letters.len() == 1 { letters.into_iter().next() } else { asked(found, &read) };
    let degrees = typed.contains('°');
    told(
        format!("{problem}, solved"),
        Task {
            kind: Solving::Solve,
            problem: problem.clone(),
            unknown,
            degrees,
            ..Task::default()
        },
    )
}

fn by_task(found: &Found, kind: Solving, done: &str) -> Option<Told> {
    let typed = found.text()?;
    let Line::Expression(_) = line(typed)? else { return None };
    told(format!("{typed}, {done}"), Task { kind, problem: typed.to_owned(), ..Task::default() })
}

fn factored(found: &Found) -> Option<Told> {
    by_task(found, Solving::Factor, "factorised")
}

fn valued(found: &Found) -> Option<Told> {
    let typed = found.text()?;
    let Line::Expression(expr) = line(typed)? else { return None };
    if !expr.symbols().is_empty() {
        return None;
    }
    told(
        format!("The value of {typed}"),
        Task { kind: Solving::Auto, problem: typed.to_owned(), ..Task::default() },
    )
}

/// A sine of a whole number of ten or more, without a unit: a class means degrees, and is told so.
fn in_degrees(found: &Found) -> Option<Told> {
    let [number] = found.amounts()?;
    let n = number.whole(360).filter(|n| *n == 0 || *n >= 10)?;
    let name = found.words.last()?.get(..3)?;
    if number.unit.is_some() {
        return None;
    }
    let problem = format!("{name} {n}°");
    told(
        format!("{problem}, the angle in degrees"),
        Task { kind: Solving::Simplify, problem, ..Task::default() },
    )
}

/// Powers of one base multiplied and divided: their exponents added and taken away.
fn single_power(found: &Found) -> Option<Told> {
    let typed = found.text()?;
    let expr = formula::expression(typed)?;
    let mut parts = Vec::new();
    powers(&expr, false, &mut parts)?;
    let base = parts.first()?.0.clone();
    if parts.len() < 2 || parts.iter().any(|(one, ..)| *one != base) {
        return None;
    }
    let exponents: String = parts
        .iter()
        .enumerate()
        .map(|(at, (_, exponent, below))| match (at, below) {
            (0, false) => exponent.clone(),
            (0, true) => format!("-{exponent}"),
            (_, false) => format!(" + {exponent}"),
            (_, true) => format!(" - {exponent}"),
        })
        .collect();
    let total = text(&teaching::tasks::simplify(&formula::expression(&exponents)?).ok().and_then(
        |found| match found.working.last_line()? {
            Line::Expression(value) => Some(value.clone()),
            _ => None,
        },
    )?);
    let answer = if total.chars().count() == 1 {
        format!("{base}^{total}")
    } else {
        format!("{base}^({total})")
    };
    let lines = Lines::start(&text(&expr))
        .then(
            &format!("{base}^({exponents})"),
            "One base: add the exponents of what is multiplied, take away those of what is divided",
        )
        .then(&answer, "Work it out");
    Some(Told::lines(
        format!("{} as a single power", text(&expr)),
        lines,
        Answer::value(answer).formed(Form::SinglePower),
    ))
}

/// The bases and exponents of a product or a quotient of powers, and whether each divides.
fn powers(expr: &Expr, below: bool, parts: &mut Vec<(String, String, bool)>) -> Option<()> {
    use algebra::ExprKind::{Divide, Multiply, Number, Power, Symbol};
    match &expr.kind {
        Multiply(a, b) => {
            powers(a, below, parts)?;
            powers(b, below, parts)
        }
        Divide(a, b) => {
            powers(a, below, parts)?;
            powers(b, !below, parts)
        }
        Power(base, exponent) if matches!(base.kind, Number(_) | Symbol(_)) => {
            let shown = text(exponent);
            let exponent =
                if shown.contains([' ', '-', '/']) { format!("({shown})") } else { shown };
            parts.push((text(base), exponent, below));
            Some(())
        }
        Number(_) | Symbol(_) => {
            parts.push((text(expr), "1".into(), below));
            Some(())
        }
        _ => None,
    }
}

/// x² + bx + c as the square of a sum and a rest.
fn completed(found: &Found) -> Option<Told> {
    let typed = found.text()?;
    // "in the form (x + a)^2 + b", and no other form.
    if found.texts.get(1).is_some_and(|form| !form.replace(['²'], "^2").contains(")^2")) {
        return None;
    }
    let typed = typed.strip_prefix("y = ").unwrap_or(typed);
    let expr = formula::expression(typed)?;
    let letters: Vec<String> = expr.symbols().into_iter().collect();
    let [letter] = &letters[..] else { return None };
    let at = |n: i64| formula::rational(&expr.with(letter, &Expr::int(n)));
    let two = algebra::number::from_int(2);
    let (zero, one, second, other) = (at(0)?, at(1)?, at(2)?, at(-1)?);
    let a = (&second - &one - (&one - &zero)) / &two;
    let b = &one - &zero - &a;
    if a == algebra::number::from_int(0)
        || other != &a - &b + &zero
        || at(7)? != &a * algebra::number::from_int(49) + &b * algebra::number::from_int(7) + &zero
    {
        return None;
    }
    let shift = &b / (&a * &two);
    let rest = &zero - &a * &shift * &shift;
    let signed = |value: &algebra::Rational| {
        use num_traits::{Signed, Zero};
        if value.is_zero() {
            String::new()
        } else if value.is_negative() {
            format!(" - {}", algebra::number::show(&-value))
        } else {
            format!(" + {}", algebra::number::show(value))
        }
    };
    let front = if a == algebra::number::from_int(1) {
        String::new()
    } else if a == algebra::number::from_int(-1) {
        "-".into()
    } else {
        algebra::number::show(&a)
    };
    let front = if front.contains('/') { format!("({front})") } else { front };
    let answer = format!("{front}({letter}{})^2{}", signed(&shift), signed(&rest));
    let lines = Lines::start(&text(&expr));
    let half = algebra::number::show(&shift);
    let lines = if front.is_empty() {
        let why = format!(
            "Half of {} stands in the bracket; its square is too much",
            algebra::number::show(&b)
        );
        lines.then(&format!("({letter}{})^2 - ({half})^2{}", signed(&shift), signed(&zero)), why)
    } else {
        let inner = match signed(&(&b / &a)) {
            none if none.is_empty() => none,
            factor => format!("{factor}{letter}"),
        };
        let why = format!("Take {} out of the first two terms", algebra::number::show(&a));
        lines.then(&format!("{front}({letter}^2{inner}){}", signed(&zero)), why)
    };
    let lines = lines.then(&answer, "Collect");
    Some(Told::lines(
        format!("{} as a completed square", text(&expr)),
        lines,
        Answer::value(answer).formed(Form::Any),
    ))
}

/// Letters replaced by values.
fn put_in(expr: &Expr, values: &[(String, Amount)]) -> Option<Expr> {
    let letters = expr.symbols();
    let mut filled = expr.clone();
    for (name, value) in values {
        if !letters.contains(name) || value.unit.is_some() || value.is_of_pi || value.is_percent {
            return None;
        }
        filled = filled.with(name, &formula::expression(&value.text)?);
    }
    filled.symbols().is_empty().then_some(filled)
}

fn named(values: &[(String, Amount)]) -> String {
    super::joined(
        &values.iter().map(|(name, value)| format!("{name} = {}", value.text)).collect::<Vec<_>>(),
    )
}

fn substituted(found: &Found) -> Option<Told> {
    let typed = found.text()?;
    // "y = 3x + 1 when x = 2" asks for y.
    let (name, typed) = match typed.split_once(" = ") {
        Some((name, right)) if letter(name.trim()).is_some() => (Some(name.trim()), right),
        Some(_) => return None,
        None => (None, typed),
    };
    let expr = formula::expression(typed)?;
    let filled = put_in(&expr, &found.values)?;
    let lines = Lines::default().say(format!("${}$", latex(&expr)), "The problem");
    let (lines, value) =
        formula::worked(lines, name, &text(&filled), &format!("Put in {}", named(&found.values)))?;
    Some(Told::lines(
        format!("The value of {} when {}", text(&expr), named(&found.values)),
        lines,
        Answer::value(text(&value)),
    ))
}

/// f(x) = …, as its letter and its right side.
fn definition(typed: &str) -> Option<(String, String, Expr)> {
    let (left, right) = typed.split_once('=')?;
    let (name, argument) = left.trim().strip_suffix(')')?.split_once('(')?;
    let (name, argument) = (letter(name.trim())?, letter(argument.trim())?);
    let expr = formula::expression(right)?;
    let only: BTreeSet<String> = [argument.clone()].into();
    (expr.symbols() == only).then_some((name, argument, expr))
}

/// f(3), g(f(2)): worked from the inside.
fn called(typed: &str, defined: &[(String, String, Expr)], lines: Lines) -> Option<(Lines, Expr)> {
    let typed = typed.trim();
    let Some((name, argument)) = typed.strip_suffix(')').and_then(|typed| typed.split_once('('))
    else {
        return Some((lines, formula::expression(typed)?));
    };
    let names: Vec<char> = name.trim().chars().collect();
    let (lines, mut value) = called(argument, defined, lines)?;
    let mut lines = lines;
    for name in names.iter().rev() {
        let (_, letter, expr) = defined.iter().find(|(known, ..)| known.chars().eq([*name]))?;
        let filled = expr.with(letter, &value);
        let begin = format!("Put in {} for {letter}", text(&value));
        (lines, value) = formula::worked(lines, None, &text(&filled), &begin)?;
    }
    Some((lines, value))
}

fn of_function(found: &Found) -> Option<Told> {
    let [one, other] = &found.texts[..] else { return None };
    let (told, asked) = if one.contains('=') { (one, other) } else { (other, one) };
    let defined: Vec<(String, String, Expr)> = told
        .split([',', ';'])
        .flat_map(|part| part.split(" and "))
        .map(definition)
        .collect::<Option<_>>()?;
    if !asked.ends_with(')') {
        return None;
    }
    if asked.contains("^-1(") || asked.contains("⁻¹(") {
        return inverse(&Found { texts: vec![told.clone()], ..Found::default() });
    }
    let say = defined
        .iter()
        .map(|(name, argument, expr)| format!("{name}({argument}) = {}", latex(expr)))
        .collect::<Vec<_>>()
        .join(",\\ ");
    let lines = Lines::default().say(format!("${say}$"), "The function");
    let (lines, value) = called(asked, &defined, lines)?;
    Some(Told::lines(format!("{asked} where {told}"), lines, Answer::value(text(&value))))
}

/// Where a function has a value: `f(x) = 5 - 2x` and `f(x) = 11`.
fn has_value(found: &Found) -> Option<Told> {
    let [function, asked] = &found.texts[..] else { return None };
    let (name, rule) = function.split_once('=')?;
    let number = found.numbers.last()?;
    let (name, rule) = (name.trim(), rule.trim());
    if asked.trim() != name || !name.ends_with("(x)") || number.unit.is_some() {
        return None;
    }
    let problem = format!("{rule} = {}", number.text);
    line(&problem)?;
    told(
        format!("Where {name} is {}: {problem}", number.text),
        Task {
            kind: Solving::Solve,
            problem: problem.clone(),
            unknown: Some("x".into()),
            ..Task::default()
        },
    )
}

fn inverse(found: &Found) -> Option<Told> {
    let typed = found.text()?;
    let (name, argument, expr) = definition(typed).or_else(|| {
        let right = typed.strip_prefix("y =").map_or(typed, str::trim);
        Some(("f".to_owned(), "x".to_owned(), formula::expression(right)?))
    })?;
    let problem = format!("y = {}", text(&expr));
    let task =
        Task { kind: Solving::Solve, problem, unknown: Some(argument.clone()), ..Task::default() };
    let solved = work(&task).ok()?;
    let Line::Expression(value) = line(solved.answer.strip_prefix(&format!("{argument} = "))?)?
    else {
        return None;
    };
    let swapped = value
        .with("y", &Expr { kind: algebra::ExprKind::Symbol(argument.clone()), ..value.clone() });
    let lines = solved.working.iter().enumerate().fold(Lines::default(), |lines, (at, line)| {
        if at == 0 {
            lines.begin(&line.math, "Call the value y")
        } else {
            lines.then(&line.math, line.reason.clone())
        }
    });
    let answer = text(&swapped);
    let lines = lines.end(format!("The inverse is {name}⁻¹({argument}) = {answer}."));
    Some(Told::lines(
        format!("The inverse of {typed}"),
        lines,
        Answer { value: String::new(), ..Answer::value(answer) },
    ))
}

/// The right side of `y = …`, `f(x) = …`, or the expression itself.
fn right_side(typed: &str) -> Option<Expr> {
    let right = match typed.split_once('=') {
        Some((left, right)) if letter(left.trim()).is_some() || left.trim().ends_with(')') => right,
        Some(_) => return None,
        None => typed,
    };
    formula::expression(right)
}

fn derived(found: &Found) -> Option<Told> {
    let expr = right_side(found.text()?)?;
    let problem = text(&expr);
    told(
        format!("The derivative of {problem}"),
        Task { kind: Solving::Differentiate, problem, ..Task::default() },
    )
}

fn derived_at(found: &Found) -> Option<Told> {
    let expr = right_side(found.text()?)?;
    let problem = text(&expr);
    let solved =
        work(&Task { kind: Solving::Differentiate, problem: problem.clone(), ..Task::default() })
            .ok()?;
    let derivative = formula::expression(&solved.answer)?;
    let filled = put_in(&derivative, &found.values)?;
    let lines = Lines::default()
        .say(format!("${}$", latex(&derivative)), "The derivative gives the gradient");
    let (lines, value) =
        formula::worked(lines, None, &text(&filled), &format!("Put in {}", named(&found.values)))?;
    Some(Told::lines(
        format!("The gradient of {problem} when {}", named(&found.values)),
        lines,
        Answer::value(text(&value)),
    ))
}

fn rearranged(found: &Found) -> Option<Told> {
    let typed = found.text()?;
    let problem = line(typed)?;
    problem.as_equation()?;
    let letter = found
        .names
        .iter()
        .filter_map(|word| letter(word))
        .find(|one| problem.symbols().contains(one))?;
    let task = Task {
        kind: Solving::Solve,
        problem: typed.to_owned(),
        unknown: Some(letter.clone()),
        ..Task::default()
    };
    let says = format!("{typed}, solved for {letter}");
    // A formula about lengths and times: of two roots the positive one is meant.
    if work(&task).is_ok_and(|found| found.answer.contains(" or ")) {
        let positive = Task {
            assumed: Assumptions { all_positive: true, ..Assumptions::default() },
            ..task.clone()
        };
        if let Some(found) = told(format!("{says}, all letters being positive"), positive) {
            return Some(found);
        }
    }
    told(says, task)
}
