//! Points and lines in the plane, and what a graph shows.

use super::{Answer, Found, TaskKind, Told, formula};
use crate::typed::text::{Amount, written};
use algebra::number::from_int;
use algebra::write::text;
use algebra::{Expr, Rational};
use num_traits::{One, Signed, Zero};
use teaching::typeset::Lines;

#[rustfmt::skip]
pub(super) const KINDS: &[TaskKind] = &[
    beside("Midpoint", &[
        "midpoint of #p and? #p", "midpoint of line|points? segment? joining|from|between|with? endpoints|ends|points? at? #p and|to #p",
        "midpoint between|of points|line|segment? joining|from|segment? #p and|to? #p", "mid point of #p and #p", "middle of #p and #p",
        "midpoint of line joining|from|segment|between #p and|to #p",
    ], midpoint),
    beside("Distance", &[
        "distance between|from points? #p and|to #p", "how far is #p from #p", "length of line|segment from|joining|between #p to|and #p",
        "length of line segment from|joining|between #p to|and #p", "how far apart are #p and #p", "distance #p to #p",
        "distance of #p and #p",
    ], distance),
    beside("Gradient", &[
        "gradient|slope of? line? through|between|joining|of|from points? #p and|to #p",
        "gradient|slope of line which|that passes|goes through #p and #p", "gradient|slope #p and? #p",
        "gradient|slope of line joining|passing|between through? points? #p and|to #p", "gradient|slope between #p and #p",
    ], gradient),
    beside("Gradient", &[
        "gradient|slope of line? @", "gradient|slope of line with equation @",
    ], gradient_of_line),
    beside("Gradient", &[
        "gradient|slope and y? intercept of line? @", "slope|gradient and? y intercept of line? @",
    ], both_of_line),
    beside("Gradient", &[
        "gradient|slope of line? perpendicular to @", "perpendicular gradient|slope to @", "gradient|slope perpendicular to @",
    ], |f| of_line(f, Part::Perpendicular)),
    beside("Gradient", &[
        "gradient|slope of line? parallel to @", "gradient|slope of any? line parallel to @",
    ], |f| of_line(f, Part::Parallel)),
    beside("Intercepts", &[
        "y intercept of line? @", "y intercept of line? @", "where does @ cross|meet|cut|intersect y axis|axis?",
        "where does line|graph|curve? @ cross|meet|cut y axis", "where does line|graph|curve? @ cross|meet|cut|intersect y axis",
        "where does @ cross y axis", "y intercept of @",
    ], y_intercept),
    beside("Intercepts", &[
        "where does line|graph|curve? @ cross|meet|cut|intersect x axis", "where does line|graph|curve? @ cross|meet|cut|intersect x axis",
        "x intercept|intercepts of line|graph? @", "x intercept|intercepts of line|graph? @", "where does @ cross x axis",
    ], x_intercept),
    beside("Equation of a line", &[
        "equation of straight? line through|joining|passing|between points? #p and #p",
        "equation of straight? line passing|going through points? #p and #p",
        "equation of straight? line that|which passes|goes through #p and #p", "line through #p and #p",
    ], through_two),
    beside("Equation of a line", &[
        "equation of straight? line with gradient|slope # through|passing|and|which passes|goes|through? through? #p",
        "equation of straight? line through|passing through? #p with gradient|slope #",
        "line with gradient|slope # through|passing through? #p", "gradient|slope # through|passing through? #p equation|line?",
        "equation of line gradient|slope # through|passing through? #p", "equation of line gradient|slope # and? point? #p",
    ], through_one),
    beside("Equation of a line", &[
        "equation of straight? line parallel|perpendicular to line? @ through|passing|and|which|that passes|goes|going|through? through? point? #p",
        "equation of straight? line through|passing through? point? #p parallel|perpendicular to line? @",
        "equation of straight? line through|passing through? point? #p and parallel|perpendicular to line? @",
        "line parallel|perpendicular to line? @ through|passing through? point? #p", "line through #p parallel|perpendicular to line? @",
    ], beside_line),
    beside("Equation of a line", &[
        "equation of straight? line with gradient|slope # and y intercept #",
        "equation of straight? line with gradient|slope # and y intercept #", "line with gradient|slope # and y intercept #",
        "line with gradient|slope # and y intercept #", "equation of line gradient|slope # y intercept #",
        "equation of line gradient|slope # y intercept #",
    ], with_intercept),
    beside("Turning point", &[
        "vertex|minimum|maximum|turning point? of graph|parabola|curve|quadratic? @", "turning point of @", "minimum|maximum point of @",
        "coordinates of vertex|turning|minimum|maximum point? of @",
    ], vertex),
    beside("Turning point", &[
        "minimum|maximum|least|greatest value of @",
    ], extreme),
    beside("Turning point", &[
        "axis|line of symmetry of graph|parabola|curve|quadratic? @",
    ], axis),
    beside("Discriminant", &[
        "discriminant of @",
    ], discriminant),
    beside("Discriminant", &[
        "how many real? solutions|roots does @ have", "number of real? solutions|roots of @", "nature of roots of @",
    ], count_of_roots),
    beside("Points on graphs", &[
        "is #p on line|graph|curve? @", "does #p lie on line|graph|curve? @", "is point #p on line|graph|curve? @",
        "does line|graph|curve? @ pass|go through #p", "does point #p lie on line|graph|curve? @",
    ], lies_on),
];

const fn beside(
    topic: &'static str,
    wordings: &'static [&'static str],
    told: fn(&Found) -> Option<Told>,
) -> TaskKind {
    TaskKind::beside("functions.model", topic, wordings, told)
}

fn bare(points: &[(Amount, Amount)]) -> bool {
    points.iter().all(|(x, y)| {
        [x, y].iter().all(|one| one.unit.is_none() && !one.is_percent && !one.is_of_pi)
    })
}

fn two(found: &Found) -> Option<[&(Amount, Amount); 2]> {
    let [a, b] = &found.points[..] else { return None };
    bare(&found.points).then_some([a, b])
}

fn point(at: &(Amount, Amount)) -> String {
    format!("({}, {})", at.0.text, at.1.text)
}

fn midpoint(found: &Found) -> Option<Told> {
    let [a, b] = two(found)?;
    let half = |p: &Amount, q: &Amount| written(&((&p.value + &q.value) / from_int(2)));
    let (x, y) = (half(&a.0, &b.0), half(&a.1, &b.1));
    let answer = format!("({x}, {y})");
    let lines = Lines::default()
        .work(&format!("({} + {}) ÷ 2 = {x}", a.0.factor(), b.0.factor()), "Halfway along")
        .work(&format!("({} + {}) ÷ 2 = {y}", a.1.factor(), b.1.factor()), "Halfway up")
        .begin(&answer, "Both together");
    Some(Told::lines(
        format!("The midpoint of {} and {}", point(a), point(b)),
        lines,
        Answer::value(answer),
    ))
}

fn distance(found: &Found) -> Option<Told> {
    let [a, b] = two(found)?;
    let (dx, dy) = (&b.0.value - &a.0.value, &b.1.value - &a.1.value);
    let lines = Lines::default()
        .work(&format!("{} - {} = {}", b.0.text, a.0.factor(), written(&dx)), "So far along")
        .work(&format!("{} - {} = {}", b.1.text, a.1.factor(), written(&dy)), "So far up");
    let typed = format!("sqrt({}^2 + {}^2)", bracketed(&dx), bracketed(&dy));
    let (lines, value) = formula::worked(lines, None, &typed, "Pythagoras: the two are the legs")?;
    Some(Told::lines(
        format!("The distance between {} and {}", point(a), point(b)),
        lines,
        Answer::value(text(&value)),
    ))
}

fn bracketed(value: &Rational) -> String {
    let text = written(value);
    if text.contains(['-', '/']) { format!("({text})") } else { text }
}

/// The gradient of the line through two points, with its lines.
fn steepness(a: &(Amount, Amount), b: &(Amount, Amount)) -> Option<(Lines, Rational)> {
    let (dx, dy) = (&b.0.value - &a.0.value, &b.1.value - &a.1.value);
    if dx.is_zero() {
        return None;
    }
    let value = &dy / &dx;
    let lines = Lines::start(&format!(
        "({} - {})/({} - {})",
        b.1.text,
        a.1.factor(),
        b.0.text,
        a.0.factor()
    ))
    .then(&format!("({})/({})", written(&dy), written(&dx)), "How far up, over how far along")
    .then(&algebra::number::show(&value), "Divide");
    Some((lines, value))
}

fn gradient(found: &Found) -> Option<Told> {
    let [a, b] = two(found)?;
    let says = format!("The gradient of the line through {} and {}", point(a), point(b));
    let Some((lines, value)) = steepness(a, b) else {
        let lines = Lines::default()
            .work(&format!("{} - {} = 0", b.0.text, a.0.factor()), "It goes no way along")
            .end("The line is vertical: it has no gradient.");
        return (a != b).then(|| Told::lines(says, lines, Answer::words("undefined")));
    };
    Some(Told::lines(says, lines, Answer::value(algebra::number::show(&value))))
}

/// y = mx + c of what is typed, where it is a line.
fn line_of(typed: &str) -> Option<(Expr, Rational, Rational)> {
    let line = algebra::read_line(typed).ok()?.line;
    let right = match &line {
        algebra::Line::Expression(expr) => expr.clone(),
        line => {
            line.as_equation()?;
            let task = crate::solving::Task {
                problem: typed.to_owned(),
                unknown: Some("y".into()),
                ..Default::default()
            };
            let answer = crate::solving::work(&task).ok()?.answer;
            formula::expression(answer.strip_prefix("y = ")?)?
        }
    };
    let at = |x: i64| formula::rational(&right.with("x", &Expr::int(x)));
    let (c, m) = (at(0)?, at(1)? - at(0)?);
    (at(2)? - at(1)? == m && at(-3)? == &c - &m * from_int(3)).then_some((right, m, c))
}

enum Part {
    Parallel,
    Perpendicular,
}

/// m and c, where it was typed as a line in y and x.
fn in_two_letters(typed: &str) -> Option<(Rational, Rational)> {
    let (_, m, c) = line_of(typed)?;
    Some((m, c))
}

fn told_line(typed: &str, m: &Rational, c: &Rational) -> Lines {
    let lines = Lines::start(typed);
    lines.then(&equation(m, c), "Solved for y")
}

fn equation(m: &Rational, c: &Rational) -> String {
    let front = match (m.is_zero(), m.is_one(), (-m).is_one()) {
        (true, ..) => return format!("y = {}", written(c)),
        (_, true, _) => "x".to_owned(),
        (.., true) => "-x".to_owned(),
        _ => format!(
            "{}x",
            if written(m).contains('/') {
                format!("({})", algebra::number::show(m))
            } else {
                written(m)
            }
        ),
    };
    if c.is_zero() {
        return format!("y = {front}");
    }
    let sign = if c.is_negative() { '-' } else { '+' };
    format!("y = {front} {sign} {}", written(&c.abs()))
}

fn gradient_of_line(found: &Found) -> Option<Told> {
    let typed = found.text()?;
    let (m, c) = in_two_letters(typed).filter(|_| typed.contains('='))?;
    let value = algebra::number::show(&m);
    let lines =
        told_line(typed, &m, &c).end(format!("The gradient is the number before x: {value}."));
    Some(Told::lines(
        format!("The gradient of {typed}"),
        lines,
        Answer { value: String::new(), ..Answer::value(value) },
    ))
}

fn of_line(found: &Found, part: Part) -> Option<Told> {
    let typed = found.text()?;
    let (m, c) = in_two_letters(typed).filter(|_| typed.contains('='))?;
    let lines = told_line(typed, &m, &c);
    let (value, lines, word) = match part {
        Part::Parallel => (
            m.clone(),
            lines.end(format!("Parallel lines are equally steep: {}.", algebra::number::show(&m))),
            "parallel",
        ),
        Part::Perpendicular => {
            if m.is_zero() {
                return None;
            }
            let value = -m.recip();
            let shown = algebra::number::show(&value);
            (
                value,
                lines.work(
                    &format!("{} × ({shown}) = -1", bracketed(&m)),
                    "Perpendicular gradients multiply to -1",
                ),
                "perpendicular",
            )
        }
    };
    let value = algebra::number::show(&value);
    Some(Told::lines(
        format!("The gradient of a line {word} to {typed}"),
        lines,
        Answer { value: String::new(), ..Answer::value(value) },
    ))
}

/// Gradient and intercept together.
fn both_of_line(found: &Found) -> Option<Told> {
    let typed = found.text()?;
    let (m, c) = in_two_letters(typed).filter(|_| typed.contains('='))?;
    let (m_shown, c_shown) = (algebra::number::show(&m), written(&c));
    let lines = told_line(typed, &m, &c)
        .end(format!("The gradient is {m_shown}, the y-intercept is {c_shown}."));
    Some(Told::lines(
        format!("The gradient and the y-intercept of {typed}"),
        lines,
        Answer::words(format!("{m_shown} and {c_shown}")),
    ))
}

/// What y is when x is 0.
fn right_side(typed: &str) -> Option<Expr> {
    let right = typed
        .split_once('=')
        .filter(|(left, _)| matches!(left.trim(), "y" | "f(x)"))
        .map_or(typed, |(_, right)| right);
    let expr = formula::expression(right)?;
    (expr.symbols().into_iter().collect::<Vec<_>>() == ["x"]).then_some(expr)
}

fn y_intercept(found: &Found) -> Option<Told> {
    let typed = found.text()?;
    let expr = match right_side(typed) {
        Some(expr) => expr,
        None => line_of(typed)?.0,
    };
    let at = expr.with("x", &Expr::int(0));
    let value = formula::rational(&at)?;
    let shown = written(&value);
    let lines = Lines::default()
        .begin(&format!("y = {}", text(&at)), "On the y-axis x is 0")
        .then(&format!("y = {shown}"), "Work it out")
        .end(format!("It crosses the y-axis at (0, {shown})."));
    Some(Told::lines(
        format!("Where {typed} crosses the y-axis"),
        lines,
        Answer::value(shown.clone()).written(format!("y = {shown}")),
    ))
}

fn x_intercept(found: &Found) -> Option<Told> {
    let typed = found.text()?;
    let problem = match right_side(typed) {
        Some(expr) => format!("{} = 0", text(&expr)),
        None => {
            let line = algebra::read_line(typed).ok()?.line;
            let (left, right) = line.as_equation()?;
            let zero = Expr::int(0);
            format!("{} = {}", text(&left.with("y", &zero)), text(&right.with("y", &zero)))
        }
    };
    let task = crate::solving::Task {
        kind: crate::solving::TaskKind::Solve,
        problem,
        ..Default::default()
    };
    Some(Told::solver(format!("Where {typed} crosses the x-axis, that is where y is 0"), task))
}

fn through(m: &Rational, at: &(Amount, Amount), mut lines: Lines, says: String) -> Option<Told> {
    let c = &at.1.value - m * &at.0.value;
    lines = lines.work(
        &format!("{} - {} × {} = {}", at.1.text, bracketed(m), at.0.factor(), written(&c)),
        "What is left of y when m times x is taken away",
    );
    let answer = equation(m, &c);
    let lines = lines.begin(&answer, "y = mx + c with both put in");
    Some(Told::lines(says, lines, Answer::value(answer)))
}

fn through_two(found: &Found) -> Option<Told> {
    let [a, b] = two(found)?;
    let says = format!("The line through {} and {}", point(a), point(b));
    let Some((_, m)) = steepness(a, b) else {
        let answer = format!("x = {}", a.0.text);
        let lines =
            Lines::default().begin(&answer, "Both points have the same x: the line is vertical");
        return (a != b).then(|| Told::lines(says, lines, Answer::value(answer)));
    };
    let shown = algebra::number::show(&m);
    let lines = Lines::default().work(
        &format!("({} - {})/({} - {}) = {shown}", b.1.text, a.1.factor(), b.0.text, a.0.factor()),
        "The gradient: how far up, over how far along",
    );
    through(&m, a, lines, says)
}

fn through_one(found: &Found) -> Option<Told> {
    let ([m], [at]) = (found.amounts()?, &found.points[..]) else { return None };
    if !bare(&found.points) || m.unit.is_some() {
        return None;
    }
    through(
        &m.value,
        at,
        Lines::default(),
        format!("The line with gradient {} through {}", m.text, point(at)),
    )
}

/// The line through a point, parallel to another or perpendicular to it.
fn beside_line(found: &Found) -> Option<Told> {
    let (typed, [at]) = (found.text()?, &found.points[..]) else { return None };
    let (m, c) = in_two_letters(typed).filter(|_| typed.contains('='))?;
    if !bare(&found.points) {
        return None;
    }
    let is_parallel = found.says(&["parallel"]);
    let own = if is_parallel {
        m.clone()
    } else {
        {
            if m.is_zero() {
                return None;
            }
            -m.recip()
        }
    };
    let shown = algebra::number::show(&own);
    let lines = told_line(typed, &m, &c);
    let (lines, word) = if is_parallel {
        (
            lines.say(format!("Parallel lines are equally steep: {shown}."), "The gradient"),
            "parallel",
        )
    } else {
        let product = format!("{} × ({shown}) = -1", bracketed(&m));
        (lines.work(&product, "Perpendicular gradients multiply to -1"), "perpendicular")
    };
    through(&own, at, lines, format!("The line {word} to {typed} through {}", point(at)))
}

fn with_intercept(found: &Found) -> Option<Told> {
    let [m, c] = found.amounts()?;
    let answer = equation(&m.value, &c.value);
    let lines = Lines::default()
        .say("$y = mx + c$", "m is the gradient, c the y-intercept")
        .begin(&answer, "Put both in");
    Some(Told::lines(
        format!("The line with gradient {} and y-intercept {}", m.text, c.text),
        lines,
        Answer::value(answer),
    ))
}

/// a, b and c of a quadratic in x.
fn quadratic(typed: &str) -> Option<(Expr, Rational, Rational, Rational)> {
    let typed = typed.strip_suffix("= 0").map_or(typed, str::trim);
    let expr = right_side(typed)?;
    let at = |x: i64| formula::rational(&expr.with("x", &Expr::int(x)));
    let (zero, one, two, other) = (at(0)?, at(1)?, at(2)?, at(-1)?);
    let a = (&two - &one - (&one - &zero)) / from_int(2);
    let b = &one - &zero - &a;
    (other == &a - &b + &zero
        && at(5)? == &a * from_int(25) + &b * from_int(5) + &zero
        && !a.is_zero())
    .then_some((expr, a, b, zero))
}

/// The turning point of a quadratic with its lines.
fn turning(typed: &str) -> Option<(Lines, Rational, Rational, Rational)> {
    let (expr, a, b, _) = quadratic(typed)?;
    let x = -&b / (&a * from_int(2));
    let y = formula::rational(&expr.with("x", &Expr::rational(&x)))?;
    let lines = Lines::default()
        .work(
            &format!("-({})/(2 × {}) = {}", written(&b), bracketed(&a), written(&x)),
            "The axis lies at -b/(2a)",
        )
        .work(
            &format!(
                "{} = {}",
                text(&expr.with("x", &formula::expression(&bracketed(&x))?)),
                written(&y)
            ),
            "y there",
        );
    Some((lines, a, x, y))
}

fn vertex(found: &Found) -> Option<Told> {
    let typed = found.text()?;
    let (lines, a, x, y) = turning(typed)?;
    let answer = format!("({}, {})", written(&x), written(&y));
    let kind = if a.is_negative() { "highest" } else { "lowest" };
    let lines = lines.begin(&answer, format!("The {kind} point"));
    Some(Told::lines(format!("The turning point of {typed}"), lines, Answer::value(answer)))
}

fn extreme(found: &Found) -> Option<Told> {
    let typed = found.text()?;
    let (lines, a, _, y) = turning(typed)?;
    let wants_least = found.words.iter().any(|word| matches!(word.as_str(), "minimum" | "least"));
    if wants_least == a.is_negative() {
        return None;
    }
    let shown = written(&y);
    let word = if wants_least { "least" } else { "greatest" };
    let lines = lines.end(format!("The {word} value is {shown}."));
    Some(Told::lines(
        format!("The {word} value of {typed}"),
        lines,
        Answer { value: String::new(), ..Answer::value(shown) },
    ))
}

fn axis(found: &Found) -> Option<Told> {
    let typed = found.text()?;
    let (lines, _, x, _) = turning(typed)?;
    let answer = format!("x = {}", written(&x));
    let lines = lines.begin(&answer, "The axis of symmetry");
    Some(Told::lines(format!("The axis of symmetry of {typed}"), lines, Answer::value(answer)))
}

fn discriminated(typed: &str) -> Option<(Lines, Rational)> {
    let (_, a, b, c) = quadratic(typed)?;
    let value = &b * &b - &a * &c * from_int(4);
    let lines = Lines::default()
        .say("$b^2 - 4ac$", "The discriminant")
        .begin(
            &format!("{}^2 - 4 × {} × {}", bracketed(&b), bracketed(&a), bracketed(&c)),
            "Put in a, b and c",
        )
        .then(&written(&value), "Work it out");
    Some((lines, value))
}

fn discriminant(found: &Found) -> Option<Told> {
    let typed = found.text()?;
    let (lines, value) = discriminated(typed)?;
    Some(Told::lines(format!("The discriminant of {typed}"), lines, Answer::value(written(&value))))
}

fn count_of_roots(found: &Found) -> Option<Told> {
    let typed = found.text()?;
    let (lines, value) = discriminated(typed)?;
    let (count, why) = if value.is_positive() {
        ("2", "above 0: two real solutions")
    } else if value.is_zero() {
        ("1", "0: one real solution")
    } else {
        ("0", "below 0: no real solution")
    };
    let lines = lines.end(format!("The discriminant is {why}."));
    Some(Told::lines(format!("How many real solutions {typed} has"), lines, Answer::words(count)))
}

fn lies_on(found: &Found) -> Option<Told> {
    let (typed, [at]) = (found.text()?, &found.points[..]) else { return None };
    if !bare(&found.points) {
        return None;
    }
    let line = algebra::read_line(typed).ok()?.line;
    let (left, right) = line.as_equation()?;
    let put = |side: &Expr| {
        let value = |one: &Amount| Expr::rational(&one.value);
        side.with("x", &value(&at.0)).with("y", &value(&at.1))
    };
    let (left, right) = (formula::rational(&put(left))?, formula::rational(&put(right))?);
    let is_on = left == right;
    let sign = if left < right {
        "<"
    } else if is_on {
        "="
    } else {
        ">"
    };
    let lines = Lines::default()
        .say(format!("Put in x = {} and y = {}.", at.0.text, at.1.text), "Try the point")
        .work(&format!("{} {sign} {}", written(&left), written(&right)), "Left side and right side")
        .end(if is_on { "The point lies on it." } else { "The point does not lie on it." });
    Some(Told::lines(
        format!("Whether {} lies on {typed}", point(at)),
        lines,
        Answer::words(if is_on { "yes" } else { "no" }),
    ))
}
