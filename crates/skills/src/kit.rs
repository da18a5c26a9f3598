//! What the files of the skills are written with, in one place; see `docs/add-a-skill.md`.

pub(super) use super::pictured;
pub(super) use crate::scenario::{self, own};
pub(super) use teaching::draw::Draw;
pub(super) use teaching::figure::{Circle, Figure, Polygon};
pub(super) use teaching::formulas;
pub(super) use teaching::ids::{MethodId, SlipId};
pub(super) use teaching::problem::Posed;
pub(super) use teaching::skill::{Card, Method, Skill, Stage, Strand, Term};
pub(super) use teaching::slips::{Named, Slip};

pub(super) use algebra::form::Form;
pub(super) use algebra::number::from_int;
pub(super) use algebra::{Line, Rational};
pub(super) use num_integer::{gcd, lcm};
pub(super) use teaching::tasks;
pub(super) use teaching::typeset::{
    Lines, bracketed, decimal, fraction, line, measured, tex, tex_as_typed,
};
pub(super) use teaching::working::Working;
pub(super) use teaching::world::World;

use algebra::number::{Integer, square_part};
use num_traits::ToPrimitive;

/// The working of an equation, inequality or system as it is written on a board, by a method or the usual one.
pub(super) fn board(typed: &str, letter: &str, method: Option<MethodId>) -> Option<Working> {
    let problem = line(typed);
    let found = if matches!(problem, algebra::Line::AllOf(_)) {
        tasks::system(&problem, method)
    } else {
        tasks::solve(
            &problem,
            letter,
            method,
            &algebra::Assumptions::default(),
            algebra::Expr::clone,
        )
    };
    found.ok().map(|worked| worked.working)
}

/// A sum as it is typed, `2x^2 - 5x + 1`: coefficients with what they stand before; what is zero is left out.
pub(super) fn sum(terms: &[(i64, &str)]) -> String {
    let mut typed = String::new();
    for &(coefficient, of) in terms.iter().filter(|(coefficient, _)| *coefficient != 0) {
        typed += match (typed.is_empty(), coefficient < 0) {
            (true, true) => "-",
            (true, false) => "",
            (false, true) => " - ",
            (false, false) => " + ",
        };
        if coefficient.abs() != 1 || of.is_empty() {
            typed += &coefficient.abs().to_string();
        }
        typed += of;
    }
    if typed.is_empty() { "0".into() } else { typed }
}

/// `27 cm`
pub(super) fn measured_in(value: i64, unit: &str) -> String {
    format!("{value} {unit}")
}

/// `cm²` for `cm`
pub(super) fn squared(unit: &str) -> String {
    format!("{unit}²")
}

/// The value of a calculation rounded to that many places, all of them written; `?` where it has none.
pub(super) fn nearest(typed: &str, places: u32) -> String {
    let algebra::Line::Expression(value) = line(typed) else { return "?".into() };
    tasks::rounded(&value, places).unwrap_or_else(|| "?".into())
}

/// An expression whose value is asked for to that many decimal places.
pub(super) fn rounded_value(prompt: String, typed: &str, places: u32) -> Posed {
    let answer = format!("≈ {}", nearest(typed, places));
    Posed::value(prompt, line(typed), line(&answer), Form::Decimal(places))
}

/// An equation whose solution, `exact`, is asked for to that many decimal places.
pub(super) fn rounded_solution(
    prompt: String,
    equation: &str,
    letter: &str,
    exact: &str,
    places: u32,
) -> Posed {
    let answer = format!("{letter} ≈ {}", nearest(exact, places));
    Posed::solve(prompt, line(equation), letter, line(&answer)).form(Form::Decimal(places))
}

/// The same problem with somebody's working to it, in which line `breaks` (from 0) breaks by that slip.
pub(super) fn with_slip(
    posed: Posed,
    draw: &mut Draw,
    typed: &[&str],
    breaks: usize,
    slip: SlipId,
) -> Posed {
    let of = tex(typed.first().copied().unwrap_or_default());
    with_slip_in(posed, draw, &of, typed, breaks, slip)
}

/// The same with what is worked out told in words.
pub(super) fn with_slip_in(
    posed: Posed,
    draw: &mut Draw,
    of: &str,
    typed: &[&str],
    breaks: usize,
    slip: SlipId,
) -> Posed {
    let name = scenario::name(draw);
    let lines: Vec<algebra::Line> = typed.iter().map(|typed| line(typed)).collect();
    let is_value = matches!(lines[..], [algebra::Line::Expression(_), ..]);
    let does = if is_value { "works out" } else { "solves" };
    Posed { prompt: format!("{name} {does} {of}."), ..posed }.flawed(name, lines, breaks, slip)
}

/// The prime factors of a whole number, the smallest first, each as often as it is needed; none for 1.
pub(crate) fn prime_factors(n: i64) -> Vec<i64> {
    let found = algebra::normal::prime_powers(&from_int(n));
    let one = |(prime, times): (Integer, i64)| {
        let prime = prime.to_i64().unwrap_or(1);
        std::iter::repeat_n(prime, usize::try_from(times).unwrap_or(0))
    };
    found.into_iter().flat_map(one).collect()
}

/// `2 × 2 × 3`, and `1` for no factors.
pub(crate) fn times(factors: &[i64]) -> String {
    let all: Vec<String> = factors.iter().map(i64::to_string).collect();
    if all.is_empty() { "1".into() } else { all.join(" × ") }
}

/// The factor that comes out of the root of a positive whole number, and what is left inside.
pub(super) fn out_of_root(n: i64) -> (i64, i64) {
    square_part(&n.into()).map_or((1, n), |(outside, inside)| {
        let inside = inside.iter().map(|&p| i64::try_from(p).unwrap_or(1)).product();
        (outside.to_i64().unwrap_or(1), inside)
    })
}

/// Ends a working with a fraction: as it comes, and in lowest terms where that is another.
pub(super) fn in_lowest_terms(lines: Lines, above: i64, below: i64, reason: &str) -> Lines {
    let (raw, answer) = (format!("{above}/{below}"), fraction(above, below));
    if raw == answer || below == 1 {
        lines.then(&answer, reason)
    } else {
        lines.then(&raw, reason).then(&answer, "Write it in lowest terms")
    }
}

/// A sum or a difference of two fractions with its common denominator.
pub(super) struct FractionSum {
    /// Numerator and denominator.
    pub first: (i64, i64),
    /// Numerator and denominator.
    pub second: (i64, i64),
    /// Whether the second is taken away.
    pub minus: bool,
}

impl FractionSum {
    fn sign(&self) -> char {
        if self.minus { '-' } else { '+' }
    }

    /// The least common denominator.
    pub fn common(&self) -> i64 {
        lcm(self.first.1, self.second.1)
    }

    /// Both numerators over the common denominator.
    pub fn numerators(&self) -> (i64, i64) {
        let over = |(n, d): (i64, i64)| n * self.common() / d;
        (over(self.first), over(self.second))
    }

    /// The numerator of the result over the common denominator.
    pub fn top(&self) -> i64 {
        let (x, y) = self.numerators();
        if self.minus { x - y } else { x + y }
    }

    /// As it is typed: `-1/2 + (-3/4)`.
    pub fn typed(&self) -> String {
        let ((a, b), (c, d)) = (self.first, self.second);
        let second = if c < 0 { format!("({c}/{d})") } else { format!("{c}/{d}") };
        format!("{a}/{b} {} {second}", self.sign())
    }

    /// What numerators and denominators give when they are taken by themselves.
    pub fn straight_across(&self) -> String {
        let ((a, b), (c, d)) = (self.first, self.second);
        if self.minus { fraction(a - c, (b - d).abs().max(1)) } else { fraction(a + c, b + d) }
    }

    /// The lines after `start`: one denominator, one fraction, the result in lowest terms.
    pub fn worked(&self, start: Lines, over: &str, join: &str) -> Lines {
        let (common, (x, y)) = (self.common(), self.numerators());
        let same = Self { first: (x, common), second: (y, common), minus: self.minus };
        let mut lines = start;
        if self.first.1 != self.second.1 {
            lines = lines.then(&same.typed(), over);
        }
        let joined = format!("({x} {} {})/{common}", self.sign(), bracketed(y));
        in_lowest_terms(lines.then(&joined, join), self.top(), common, "Work out the numerator")
    }
}

/// The words a skill needs, each with what it means.
macro_rules! terms {
    ($($word:literal : $means:literal),* $(,)?) => {
        &[$(Term { word: $word, means: $means }),*]
    };
}

/// The ways a skill may be taught, the usual one first: `METHODS` for its card, and a constant in `method` for each id.
macro_rules! methods {
    ($($name:ident = $id:literal : $title:literal),* $(,)?) => {
        #[allow(dead_code, reason = "the solver writes the workings of some methods")]
        pub(crate) mod method {
            use teaching::ids::MethodId;

            $(pub(crate) const $name: MethodId = MethodId::new($id);)*
        }

        const METHODS: &[Method] = &[$(Method { id: method::$name, title: $title }),*];
    };
}

/// The slips of a skill, each with a sentence to the student and one to the teacher: `SLIPS` for its card, and a
/// constant in `slip` for each id.
macro_rules! slips {
    ($($name:ident = $id:literal : $student:literal, $teacher:literal);* $(;)?) => {
        #[allow(dead_code, reason = "some slips are found in lines, and lead to no wrong choice")]
        pub(crate) mod slip {
            use teaching::ids::SlipId;

            $(pub(crate) const $name: SlipId = SlipId::new($id);)*
        }

        static SLIPS: &[&dyn Slip] =
            &[$(&Named { id: slip::$name, to_student: $student, to_teacher: $teacher }),*];
    };
}

pub(super) use {methods, slips, terms};
