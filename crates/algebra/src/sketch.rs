//! A quick look at a line, to leave out lines that say something else before anything is proved.
//!
//! A sketch is in floating point and decides nothing: lines that may agree with it are compared exactly,
//! and only lines that are plainly different are passed over. It serves the search for slips, where one
//! line of a student is held against hundreds.

use crate::approximate::{Point, are_apart, value};
use crate::equal::near;
use crate::expr::Expr;
use crate::line::{Line, Relation};
use crate::solve::{Solutions, sets};

/// What a line looks like from afar.
pub struct Sketch {
    /// Places at which an expression is looked at, with its value there.
    values: Vec<(Point, f64)>,
    /// Places at which the line is true.
    solutions: Vec<Point>,
    /// Whether anything is known; if not, every line may agree.
    knows: bool,
}

impl Sketch {
    /// The sketch of a line.
    #[must_use]
    pub fn of(line: &Line) -> Self {
        let letters: Vec<String> = line.symbols().into_iter().collect();
        let mut sketch = Self { values: Vec::new(), solutions: Vec::new(), knows: false };
        if let Line::Expression(expr) = line {
            for shift in [0.37, 1.73, -0.61, 2.9] {
                let place =
                    |(at, letter): (usize, &String)| (letter.clone(), shift + 0.53 * at as f64);
                let point: Point = letters.iter().enumerate().map(place).collect();
                let here = value(expr, &point);
                sketch.values.push((point, here));
            }
            sketch.knows = true;
        } else if let [letter] = &letters[..]
            && let Ok(Solutions::Finite(found)) = sets::solutions(line, letter)
        {
            let place =
                |one: &crate::solve::Solution| Point::from([(letter.clone(), near(one.value()))]);
            sketch.solutions = found.iter().map(place).collect();
            sketch.knows = !found.is_empty();
        }
        sketch
    }

    /// Whether it tells anything; if not, every line may say the same.
    #[must_use]
    pub fn tells(&self) -> bool {
        self.knows
    }

    /// Whether `line` may say the same; `false` only when it plainly does not.
    #[must_use]
    pub fn may_be(&self, line: &Line) -> bool {
        if !self.knows {
            return true;
        }
        match line {
            Line::Expression(expr) => self.values.iter().all(|(at, here)| {
                let there = value(expr, at);
                !here.is_finite() || !there.is_finite() || !are_apart(*here, there)
            }),
            _ => self.solutions.iter().all(|at| may_be_true(line, at)),
        }
    }
}

fn may_be_true(line: &Line, at: &Point) -> bool {
    match line {
        Line::Relations { sides, relations } => {
            sides.windows(2).zip(relations).all(|(pair, sign)| {
                let (l, r): (f64, f64) = (value(&pair[0], at), value(&pair[1], at));
                *sign != Relation::Equal || !l.is_finite() || !r.is_finite() || !far_apart(l, r)
            })
        }
        Line::AnyOf(lines) => lines.iter().any(|line| may_be_true(line, at)),
        Line::AllOf(lines) => lines.iter().all(|line| may_be_true(line, at)),
        Line::NoSolution => false,
        _ => true,
    }
}

/// Rounding in the solution itself grows in what is worked out with it.
fn far_apart(a: f64, b: f64) -> bool {
    (a - b).abs() > 1e-4 * a.abs().max(b.abs()).max(1.0)
}

/// Whether two expressions plainly differ at some place.
#[must_use]
pub fn plainly_differ(a: &Expr, b: &Expr) -> bool {
    !Sketch::of(&Line::Expression(a.clone())).may_be(&Line::Expression(b.clone()))
}
