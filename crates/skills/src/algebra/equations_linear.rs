//! Linear equations in one unknown.
//!
//! Method: undo what is done to the unknown, doing the same to both sides. Source: L. Euler, *Elements
//! of Algebra* (Hewlett's translation), part I, section IV, chapters II and III. What counts as nice:
//! the solution is drawn first, a whole number from -9 to 12, positive on the first rungs.

use crate::kit::methods;
use crate::kit::{bracketed, line, sum, tex};
use crate::pictured;
use crate::scenario::{self, own};
use algebra::number::from_int;
use algebra::solve::{linear_coefficients, solve_linear, solve_undoing};
use algebra::write::latex_line;
use algebra::{Expr, Line, Role};
use num_traits::ToPrimitive;
use teaching::draw::Draw;
use teaching::figure::{Figure, Mark};
use teaching::ids::MethodId;
use teaching::problem::{Flawed, Posed, Story};
use teaching::skill::{Card, Method, Skill, Stage, Strand, Term};
use teaching::slips::{self, KeptSignWhenMoving, SecondTermNotMultiplied, Slip};
use teaching::typeset::Lines;
use teaching::working::{Draft, Working};

/// The skill `equations.linear`.
pub struct Linear;

methods! {
    BALANCE = "balance": "Same to both sides",
    UNDO = "undo": "Undo in reverse",
    BAR = "bar": "Bar",
}

impl Skill for Linear {
    fn card(&self) -> Card {
        Card {
            id: "equations.linear",
            strand: Strand::Algebra,
            grades: (6, 9),
            title: "Linear equations",
            objective: "I can solve an equation by doing the same to both sides.",
            vocabulary: &[
                Term { word: "equation", means: "a statement that two expressions are equal" },
                Term { word: "unknown", means: "a letter whose value is to be found" },
                Term { word: "solution", means: "a value that makes the equation true" },
                Term {
                    word: "like terms",
                    means: "terms with the same letters to the same powers",
                },
            ],
            methods: METHODS,
        }
    }

    fn line_picture(&self, posed: &Posed, method: MethodId, line: &Line) -> Option<Figure> {
        match method {
            method::BALANCE => pictured::balance(line),
            method::BAR => Bars::of(posed)?.figure(line),
            _ => None,
        }
    }

    fn slips(&self) -> &'static [&'static dyn Slip] {
        slips::LINEAR
    }

    fn pose(&self, stage: Stage, index: usize, draw: &mut Draw) -> Posed {
        match stage {
            Stage::Grip => bare(index, draw),
            Stage::Tilt => match index % 4 {
                0 => somebodys_working(draw),
                1 => build_one(draw),
                2 => from_the_right(draw),
                _ => how_many(draw),
            },
            Stage::Climb if index % 3 == 1 => meeting(draw),
            Stage::Climb => steady(draw),
        }
    }

    fn working(&self, posed: &Posed, method: MethodId) -> Option<Working> {
        if let Some((_, working)) = posed.workings.iter().find(|(id, _)| *id == method) {
            return Some(working.clone());
        }
        let steps = match method {
            method::BALANCE => solve_linear(&posed.line, &posed.unknown),
            method::UNDO => solve_undoing(&posed.line, &posed.unknown),
            method::BAR => return Bars::of(posed).map(|bars| told(posed, bars.lines())),
            _ => return None,
        };
        Some(told(posed, steps.ok()?.into_iter().map(Draft::from).collect()))
    }
}

/// A working with what its story says first and last.
fn told(posed: &Posed, mut lines: Vec<Draft>) -> Working {
    let Some(story) = &posed.story else { return Working(lines) };
    if let Some(Draft::Line { reason, .. }) = lines.first_mut() {
        *reason = "The story as an equation".into();
    }
    let words = |sentence: String, reason: &str, role| Draft::Words {
        sentence,
        reason: reason.into(),
        role,
    };
    let defined = words(format!("{}.", story.defines), "Name what is asked for", Role::Defines);
    lines.insert(0, defined);
    lines.push(words(story.sentence.clone(), "Answer in a sentence", Role::Concludes));
    Working(lines)
}

/// An equation `a x + b = c` as a bar of equal parts with a rest, all of it positive.
struct Bars<'a> {
    letter: &'a str,
    /// How many equal parts.
    a: i64,
    /// The rest; 0 for none.
    b: i64,
    /// The whole bar.
    c: i64,
    solution: i64,
}

impl<'a> Bars<'a> {
    /// More parts than this are not told apart.
    const MOST: i64 = 12;

    /// None where the equation is no such bar.
    fn of(posed: &'a Posed) -> Option<Self> {
        let (left, right) = posed.line.as_equation()?;
        let letter = posed.unknown.as_str();
        let (a, b) = linear_coefficients(left, letter)?;
        let whole =
            |n: &algebra::Rational| n.is_integer().then(|| n.to_integer().to_i64()).flatten();
        let (a, b, c) = (whole(&a)?, whole(&b)?, whole(&right.as_plain_number()?)?);
        let fits =
            (1..=Self::MOST).contains(&a) && 0 <= b && b < c && (c - b) % a == 0 && a + b > 1;
        fits.then(|| Self { letter, a, b, c, solution: (c - b) / a })
    }

    fn lines(&self) -> Vec<Draft> {
        let Self { letter, a, b, c, solution } = self;
        let mut lines = Lines::start(&format!("{} = {c}", sum(&[(*a, letter), (*b, "")])));
        if *b > 0 {
            lines = lines
                .then(&format!("{a}{letter} = {c} - {b}"), format!("Cut the {b} off the bar"))
                .then(&format!("{a}{letter} = {}", c - b), "The equal parts are left");
        }
        if *a > 1 {
            lines = lines.then(
                &format!("{letter} = {solution}"),
                format!("Share what is left among {a} equal parts"),
            );
        }
        Working::from(lines).0
    }

    /// The bar as it stands with a line.
    fn figure(&self, line: &Line) -> Option<Figure> {
        let (left, right) = line.as_equation()?;
        let (a, b) = linear_coefficients(left, self.letter)?;
        let (_, total) = linear_coefficients(right, self.letter)?;
        let whole = |n: &algebra::Rational| n.to_integer().to_i64();
        let (a, b, c) = (whole(&a)?, whole(&b)?, whole(&total)?);
        let is_found = a == 1 && b == 0;
        let label = if is_found { c.to_string() } else { self.letter.to_owned() };
        #[expect(clippy::cast_precision_loss, reason = "lengths of a bar are small")]
        let part = |width: i64, label: &str| Mark { at: width as f64, label: label.into() };
        let mut parts = vec![part(self.solution, &label); usize::try_from(a).ok()?];
        if b > 0 {
            parts.push(part(b, &b.to_string()));
        }
        Some(Figure::Bar { parts, total: c.to_string() })
    }
}

fn x() -> Expr {
    Expr::symbol("x")
}

/// `a·x`, written as `x` when `a` is one.
fn multiple(a: i64) -> Expr {
    match a {
        1 => x(),
        a if a < 0 => multiple(-a).negative(),
        a => Expr::int(a).times(x()),
    }
}

/// `term + b`, with the sign as an operation and nothing written for zero.
fn shifted(term: Expr, b: i64) -> Expr {
    match b {
        0 => term,
        b if b < 0 => term.minus(Expr::int(-b)),
        b => term.plus(Expr::int(b)),
    }
}

fn solve(line: Line, solution: i64) -> Posed {
    let prompt = format!("Solve ${}$.", latex_line(&line));
    Posed::equation(prompt, line, "x", from_int(solution))
}

/// One thing changes from rung to rung: one step, two steps, both sides, brackets, a fraction.
fn bare(index: usize, draw: &mut Draw) -> Posed {
    let solution = draw.between(2, 12);
    match index % 5 {
        0 => {
            let b = draw.nonzero(-12, 15);
            solve(Line::equation(shifted(x(), b), Expr::int(solution + b)), solution)
        }
        1 => {
            let (a, b) = (draw.between(2, 9), draw.nonzero(-12, 15));
            let left = shifted(multiple(a), b);
            solve(Line::equation(left, Expr::int(a * solution + b)), solution)
        }
        2 => {
            let c = draw.between(2, 5);
            let (a, b) = (c + draw.between(2, 5), draw.nonzero(-9, 12));
            let d = (a - c) * solution + b;
            let sides = (shifted(multiple(a), b), shifted(multiple(c), d));
            solve(Line::equation(sides.0, sides.1), solution)
        }
        3 => {
            let (k, a, b) = (draw.between(2, 5), draw.between(1, 4), draw.nonzero(-7, 9));
            let inside = shifted(multiple(a), b);
            let value = k * (a * solution + b);
            solve(Line::equation(Expr::int(k).times(inside), Expr::int(value)), solution)
        }
        _ => {
            let (below, times, b) = (draw.between(2, 6), draw.between(2, 8), draw.nonzero(-8, 9));
            let left = shifted(x().over(Expr::int(below)), b);
            solve(Line::equation(left, Expr::int(times + b)), below * times)
        }
    }
}

/// The unknown on the right, with a minus before it or inside a bracket.
fn from_the_right(draw: &mut Draw) -> Posed {
    let (solution, a) = (draw.nonzero(-9, 9), draw.between(2, 6));
    let b = draw.between(3, 20);
    let right = Expr::int(b).minus(multiple(a));
    solve(Line::equation(Expr::int(b - a * solution), right), solution)
}

/// None, one or all? Both sides have as many `x`, or nearly.
fn how_many(draw: &mut Draw) -> Posed {
    let (a, b, more) = (draw.between(2, 6), draw.nonzero(-7, 9), draw.nonzero(-8, 8));
    let (word, right) = match draw.between(0, 2) {
        0 => ("none", sum(&[(a, "x"), (a * b + more, "")])),
        1 => ("all numbers", sum(&[(a, "x"), (a * b, "")])),
        _ => ("one", sum(&[(a + 1, "x"), (a * b + more, "")])),
    };
    let equation = format!("{a}({}) = {right}", sum(&[(1, "x"), (b, "")]));
    let expanded = format!("{} = {right}", sum(&[(a, "x"), (a * b, "")]));
    let (claim, last, reason) = match word {
        "none" => (
            format!("{} {} {}", a * b, if more > 0 { '<' } else { '>' }, a * b + more),
            "no solution".to_owned(),
            "As many $x$ on both sides, but another number: they are never equal",
        ),
        "one" => (
            format!("{a} < {}", a + 1),
            format!("x = {}", -more),
            "One $x$ more on the right: subtract, and one value is left",
        ),
        _ => (
            format!("{a} × {} = {}", bracketed(b), a * b),
            "all real numbers".to_owned(),
            "Both sides are the same: every number fits",
        ),
    };
    let others: Vec<&str> =
        ["none", "one", "all numbers"].into_iter().filter(|other| *other != word).collect();
    Posed::shown(
        format!("How many numbers solve {}: none, one or all numbers?", tex(&equation)),
        word,
        vec![line(&claim)],
    )
    .near(others)
    .way(
        method::BALANCE,
        Lines::start(&equation)
            .then(&expanded, "Multiply out the bracket")
            .then(&last, reason)
            .end(format!("The answer is: {word}.")),
    )
}

/// A coefficient or a constant is asked for, so that the equation has a given solution.
fn build_one(draw: &mut Draw) -> Posed {
    let (solution, a) = (draw.between(2, 9), draw.between(2, 7));
    let k = draw.between(3, 15);
    let value = a * solution + k;
    let letter = Expr::symbol("k");
    let shown = Line::equation(multiple(a).plus(letter.clone()), Expr::int(value));
    let put = Expr::int(a).times(Expr::int(solution)).plus(letter);
    let line = Line::equation(put, Expr::int(value));
    let prompt = format!(
        "Which number must $k$ be, so that ${}$ has the solution $x = {solution}$?",
        latex_line(&shown)
    );
    Posed::equation(prompt, line, "k", from_int(k))
}

/// Somebody solves an equation with a bracket, makes one slip, and goes on rightly from there.
fn somebodys_working(draw: &mut Draw) -> Posed {
    let name = scenario::name(draw);
    loop {
        let (k, a, b) = (draw.between(2, 5), draw.between(2, 4), draw.nonzero(-6, 7));
        let solution = draw.between(2, 9);
        let inside = shifted(multiple(a), b);
        let line = Line::equation(Expr::int(k).times(inside), Expr::int(k * (a * solution + b)));
        let slip = *draw.one_of(&[SecondTermNotMultiplied::ID, KeptSignWhenMoving::ID]);
        let Ok(right) = solve_linear(&line, "x") else { continue };
        let mut lines = vec![line.clone()];
        let made = slips::LINEAR.iter().find(|known| known.id() == slip);
        let Some(made) = made else { continue };
        if slip == KeptSignWhenMoving::ID {
            lines.push(right[1].line.clone());
        }
        let Some(wrong) = made.wrong(&lines[lines.len() - 1]).into_iter().next() else { continue };
        let breaks = lines.len();
        // The wrong line as it would be written, then on from it without another slip.
        let Some(wrong) = tidied(&wrong) else { continue };
        let Ok(rest) = solve_linear(&wrong, "x") else { continue };
        lines.extend(rest.into_iter().map(|step| step.line));
        let prompt = format!("{name} solves ${}$.", latex_line(&line));
        let mut posed = Posed::equation(prompt, line, "x", from_int(solution));
        posed.flawed = Some(Flawed { name: name.into(), lines, breaks, slip: made.id() });
        return posed;
    }
}

/// Both sides as `a x + b`, as they would be written.
fn tidied(line: &Line) -> Option<Line> {
    let (left, right) = line.as_equation()?;
    let side = |expr: &Expr| {
        let (a, b) = linear_coefficients(expr, "x")?;
        let zero = from_int(0);
        let number =
            |v: &algebra::Rational| v.is_integer().then(|| v.to_integer().to_i64()).flatten();
        let (a_int, b_int) = (number(&a)?, number(&b)?);
        Some(if a == zero { Expr::int(b_int) } else { shifted(multiple(a_int), b_int) })
    };
    Some(Line::equation(side(left)?, side(right)?))
}

fn story(
    prompt: String,
    line: Line,
    answer: i64,
    defines: &str,
    sentence: String,
    unit: &str,
) -> Posed {
    let mut posed = Posed::equation(prompt, line, "n", from_int(answer));
    posed.story = Some(Story { defines: defines.into(), sentence, unit: unit.into(), rows: None });
    posed
}

/// A start and a steady change, with the total known.
fn steady(draw: &mut Draw) -> Posed {
    if let Some(posed) = steady_elsewhere(draw) {
        return posed;
    }
    let scene = draw.one_of(scenario::STEADY);
    let name = scenario::name(draw);
    let [a, b, n] = scene.ranges.map(|(low, high)| draw.between(low, high));
    let c = a * n + b;
    let numbers = [a, b, c].map(|number| number.to_string());
    let x = scene.unit.counted(n);
    let values = [
        ("name", name),
        ("a", numbers[0].as_str()),
        ("b", numbers[1].as_str()),
        ("c", numbers[2].as_str()),
        ("x", x.as_str()),
    ];
    let left = Expr::int(a).times(Expr::symbol("n")).plus(Expr::int(b));
    let line = Line::equation(left, Expr::int(c));
    let sentence = scenario::fill(scene.answer, &values);
    story(scenario::fill(scene.story, &values), line, n, scene.defines, sentence, scene.unit.many)
}

/// What the letter of a story of one's own stands for.
const WEEKS: &str = "Let $n$ be the number of weeks";

/// The same in a teacher's own scenario.
fn steady_elsewhere(draw: &mut Draw) -> Option<Posed> {
    draw.world()?;
    let (a, b, n) = (draw.between(2, 9), draw.between(3, 24), draw.between(3, 9));
    let told = own::steady(draw, [a, b, a * n + b, n])?;
    let left = Expr::int(b).plus(Expr::int(a).times(Expr::symbol("n")));
    let line = Line::equation(left, Expr::int(a * n + b));
    Some(story(told.prompt, line, n, WEEKS, told.sentence, &told.unit))
}

/// Two steady changes that meet.
fn meeting(draw: &mut Draw) -> Posed {
    let scene = draw.one_of(scenario::MEETINGS);
    let (name, other) = scenario::two_names(draw);
    let n = draw.between(3, 9);
    let c = draw.between(2, 5);
    let a = c + draw.between(2, 4);
    let b = draw.between(4, 12);
    let d = b + (a - c) * n;
    if let Some(told) = own::meeting(draw, [a, b, c, d, n]) {
        let side =
            |k: i64, start: i64| Expr::int(start).plus(Expr::int(k).times(Expr::symbol("n")));
        let line = Line::equation(side(a, b), side(c, d));
        return story(told.prompt, line, n, WEEKS, told.sentence, &told.unit);
    }
    let numbers = [a, b, c, d].map(|number| number.to_string());
    let x = scene.unit.counted(n);
    let values = [
        ("name", name),
        ("other", other),
        ("a", numbers[0].as_str()),
        ("b", numbers[1].as_str()),
        ("c", numbers[2].as_str()),
        ("d", numbers[3].as_str()),
        ("x", x.as_str()),
    ];
    let side = |k: i64, start: i64| Expr::int(start).plus(Expr::int(k).times(Expr::symbol("n")));
    let line = Line::equation(side(a, b), side(c, d));
    let sentence = scenario::fill(scene.answer, &values);
    story(scenario::fill(scene.story, &values), line, n, scene.defines, sentence, scene.unit.many)
}
