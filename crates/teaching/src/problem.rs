//! A problem as it is posed: what is asked, the mathematics behind it, its answer, and its workings.

use crate::figure::Figure;
use crate::ids::{MethodId, SlipId};
use crate::working::Working;
use crate::world::World;
use algebra::form::Form;
use algebra::number::Notation;
use algebra::{Assumptions, Expr, ExprKind, Line, Rational, Relation, Setting};

/// A problem before it is proved.
#[derive(Debug, Clone, PartialEq)]
pub struct Posed {
    /// What the student reads, with mathematics between dollar signs.
    pub prompt: String,
    /// The mathematics behind it: an expression to work out, an equation to solve, a claim to judge.
    pub line: Line,
    /// The letter that is asked for; empty where none is.
    pub unknown: String,
    /// What is assumed of the letters, as it is typed: a length is positive.
    pub given: Vec<String>,
    /// What is right.
    pub key: Key,
    /// The form the answer must have.
    pub form: Form,
    /// The unit of the answer, where it has one.
    pub unit: Option<String>,
    /// The story, when there is one: the student sets up the equation.
    pub story: Option<Story>,
    /// A working with one slip in it, when the slip is to be found.
    pub flawed: Option<Flawed>,
    /// Wrong answers, those of slips first.
    pub wrong: Vec<Wrong>,
    /// The workings by method.
    pub workings: Vec<(MethodId, Working)>,
    /// The picture that belongs to it.
    pub figure: Option<Figure>,
    /// The pictures of its workings, as they grow.
    pub grown: Vec<Grown>,
    /// The quantities behind it, where it is more than its line.
    pub world: Option<World>,
}

/// The picture of a working as it stands with one of its lines.
#[derive(Debug, Clone, PartialEq)]
pub struct Grown {
    /// The method of the working.
    pub method: MethodId,
    /// Which line, from 0.
    pub line: usize,
    /// What it shows then.
    pub figure: Figure,
}

/// What is right, and how it is proved.
#[derive(Debug, Clone, PartialEq)]
pub enum Key {
    /// A line that says the same as the problem's: `x = 3`, `3x + 12`, `17/20`.
    Line(Line),
    /// Whether the problem's line is true.
    Truth(bool),
    /// What these claims show; each of them is true by itself.
    Shown {
        /// The answer, in words or plain mathematics.
        text: String,
        /// The claims.
        because: Vec<Line>,
    },
}

/// A wrong answer and the slip that leads to it.
#[derive(Debug, Clone, PartialEq, Eq)]
pub struct Wrong {
    /// As it would be written.
    pub text: String,
    /// The id of the slip, where one leads there.
    pub slip: Option<SlipId>,
}

/// What a story needs to be worked: the meaning of its letter, and the answer in words.
#[derive(Debug, Clone, PartialEq, Eq)]
pub struct Story {
    /// "Let $n$ be the number of jars"; empty where no letter is needed.
    pub defines: String,
    /// The answer as a sentence, with the computed number.
    pub sentence: String,
    /// The unit of the answer, plural.
    pub unit: String,
    /// What the rows of a ratio table are called.
    pub rows: Option<[String; 2]>,
}

/// Somebody's working in which exactly one line breaks.
#[derive(Debug, Clone, PartialEq)]
pub struct Flawed {
    /// Who wrote it.
    pub name: String,
    /// The lines, the problem first.
    pub lines: Vec<Line>,
    /// Which line breaks, from zero.
    pub breaks: usize,
    /// The id of the slip.
    pub slip: SlipId,
}

impl Posed {
    fn new(prompt: String, line: Line, unknown: &str, key: Key, form: Form) -> Self {
        Self {
            prompt,
            line,
            unknown: unknown.to_owned(),
            given: Vec::new(),
            key,
            form,
            unit: None,
            story: None,
            flawed: None,
            wrong: Vec::new(),
            workings: Vec::new(),
            figure: None,
            grown: Vec::new(),
            world: None,
        }
    }

    /// An equation to be solved for `unknown`, with one solution.
    #[must_use]
    pub fn equation(prompt: String, line: Line, unknown: &str, answer: Rational) -> Self {
        let answer = Line::equation(Expr::symbol(unknown), Expr::rational(&answer));
        Self::new(prompt, line, unknown, Key::Line(answer), Form::SolvedFor(unknown.to_owned()))
    }

    /// An expression to be worked out or rewritten.
    #[must_use]
    pub fn value(prompt: String, expression: Line, answer: Line, form: Form) -> Self {
        Self::new(prompt, expression, "", Key::Line(answer), form)
    }

    /// A line to be solved for `unknown`, with any set of solutions.
    #[must_use]
    pub fn solve(prompt: String, line: Line, unknown: &str, answer: Line) -> Self {
        // Intervals and points have no form of their own.
        let form = if Form::AllSolutions.fits(&answer) { Form::AllSolutions } else { Form::Any };
        Self::new(prompt, line, unknown, Key::Line(answer), form)
    }

    /// A claim to be judged.
    #[must_use]
    pub fn claim(prompt: String, claim: Line, is_true: bool) -> Self {
        Self::new(prompt, claim, "", Key::Truth(is_true), Form::Choice)
    }

    /// An answer that claims show, each true by itself; the first stands for the problem.
    #[must_use]
    pub fn shown(prompt: String, answer: impl Into<String>, because: Vec<Line>) -> Self {
        let line = because.first().cloned().unwrap_or(Line::NoSolution);
        let key = Key::Shown { text: answer.into(), because };
        Self::new(prompt, line, "", key, Form::Any)
    }

    /// The value of the answer, where it is one rational number in the usual writing: no mixed number, and none
    /// in another base.
    #[must_use]
    pub fn answer(&self) -> Option<Rational> {
        let value = match &self.key {
            Key::Line(Line::Expression(value)) => value,
            Key::Line(line) => line.as_equation()?.1,
            Key::Truth(_) | Key::Shown { .. } => return None,
        };
        let is_special = |part: &Expr| {
            matches!(&part.kind, ExprKind::Number(written)
                if matches!(written.notation(), Notation::Based { .. } | Notation::Mixed { .. }))
        };
        if value.any(&mut |part| is_special(part)) { None } else { value.as_plain_number() }
    }

    /// What two lines of this problem are compared under.
    #[must_use]
    pub fn setting(&self) -> Setting {
        setting(&self.line, &self.unknown, &self.given)
    }

    /// The number of a rounded answer, as it is written.
    #[must_use]
    pub fn rounded(&self) -> Option<&Expr> {
        match &self.key {
            Key::Line(line) => told_rounded(line),
            Key::Truth(_) | Key::Shown { .. } => None,
        }
    }

    /// With something assumed of its letters, as it is typed.
    #[must_use]
    pub fn given(mut self, assumption: &str) -> Self {
        self.given.push(assumption.into());
        self
    }

    /// With a working by one of the skill's methods.
    #[must_use]
    pub fn way(mut self, method: MethodId, working: impl Into<Working>) -> Self {
        self.workings.push((method, working.into()));
        self
    }

    /// With a wrong answer that a slip leads to.
    #[must_use]
    pub fn slip(mut self, text: impl Into<String>, slip: SlipId) -> Self {
        self.wrong.push(Wrong { text: text.into(), slip: Some(slip) });
        self
    }

    /// With wrong answers that are near the right one.
    #[must_use]
    pub fn near<T: Into<String>>(mut self, texts: impl IntoIterator<Item = T>) -> Self {
        self.wrong.extend(texts.into_iter().map(|text| Wrong { text: text.into(), slip: None }));
        self
    }

    /// With the answer as a sentence, and its unit.
    #[must_use]
    pub fn answered(mut self, sentence: impl Into<String>, unit: &str) -> Self {
        self.story = Some(Story {
            defines: String::new(),
            sentence: sentence.into(),
            unit: unit.into(),
            rows: None,
        });
        self
    }

    /// With an answer of that form.
    #[must_use]
    pub fn form(mut self, form: Form) -> Self {
        self.form = form;
        self
    }

    /// With an answer in that unit.
    #[must_use]
    pub fn unit(mut self, unit: &str) -> Self {
        self.unit = Some(unit.into());
        self
    }

    /// With the picture of a working, as it grows with its lines, counted from 0.
    #[must_use]
    pub fn grows(
        mut self,
        method: MethodId,
        figures: impl IntoIterator<Item = (usize, Figure)>,
    ) -> Self {
        let of_lines = figures.into_iter();
        self.grown.extend(of_lines.map(|(line, figure)| Grown { method, line, figure }));
        self
    }

    /// With the world behind it.
    #[must_use]
    pub fn knows(mut self, world: World) -> Self {
        self.world = Some(world);
        self
    }

    /// With a picture.
    #[must_use]
    pub fn figure(mut self, figure: Figure) -> Self {
        self.figure = Some(figure);
        self
    }

    /// With somebody's working in which line `breaks` (from zero) breaks by that slip.
    #[must_use]
    pub fn flawed(mut self, name: &str, lines: Vec<Line>, breaks: usize, slip: SlipId) -> Self {
        self.flawed = Some(Flawed { name: name.into(), lines, breaks, slip });
        self
    }
}

/// What two lines of a problem are compared under: an equation in several letters for the one that is asked for.
#[must_use]
pub fn setting(line: &Line, unknown: &str, given: &[String]) -> Setting {
    let several = line.symbols().len() > 1 && !unknown.is_empty();
    let assumed = Assumptions::read(given.iter().map(String::as_str));
    debug_assert!(assumed.is_ok(), "a skill assumes {given:?}");
    Setting { unknown: several.then(|| unknown.to_owned()), assumed: assumed.unwrap_or_default() }
}

/// The number that stands behind `≈`.
pub fn told_rounded(line: &Line) -> Option<&Expr> {
    match line {
        Line::Rounded(value) => Some(value),
        Line::Relations { sides, relations } if *relations == [Relation::Approximate] => {
            sides.last()
        }
        _ => None,
    }
}
