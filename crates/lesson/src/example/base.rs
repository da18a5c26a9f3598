//! What an example is made of before its teacher changes anything: the problem and its proved working.

use super::detail::{self, Detail};
use super::slip::{self, PutIn};
use super::{Example, ExampleLine};
use algebra::Role;
use skills::ladder::{Drawn, Rung};
use skills::typed::rung::{rung_of, worked};
use skills::typed::{Asked, MethodChoice, NoWorking, asked, no};
use teaching::ids::MethodId;
use teaching::skill::Stage;
use teaching::working::WorkingLine;

/// A problem with its working, and the methods that fit.
pub(super) struct Base {
    /// As it was typed, or as a drawn problem asks.
    pub problem: String,
    /// The problem with its key.
    pub rung: Rung,
    title: String,
    methods: Vec<MethodChoice>,
    /// Whether the first line does not say it all.
    is_told: bool,
    /// Who is said to have made a slip in it.
    pub writer: String,
}

impl Base {
    pub fn typed(problem: &str, method: Option<MethodId>) -> Result<Self, NoWorking> {
        let found = worked(problem, method)?;
        let (problem, title) = (found.problem.clone(), found.title.clone());
        let methods = found.methods.clone();
        let is_told = matches!(asked(&problem), Asked::Words);
        let rung = rung_of(found, Stage::Grip)?;
        Ok(Self { writer: slip::writer(&rung, None), rung, problem, title, methods, is_told })
    }

    pub fn drawn(drawn: &Drawn) -> Result<Self, NoWorking> {
        let bad = |why: skills::ladder::NoLadder| no(why.says());
        let (posed, _) = drawn.posed().map_err(bad)?;
        let rung = drawn.proved(&posed).map_err(bad)?;
        let rung = rung.ok_or_else(|| no("This problem can no longer be proved. Draw another."))?;
        let skill = skills::find(&rung.skill).ok_or_else(|| no("There is no such skill."))?;
        let card = skill.card();
        let fitting = card.methods.iter().filter(|one| skill.working(&posed, one.id).is_some());
        let methods = fitting.map(|one| MethodChoice { id: one.id, title: one.title.into() });
        Ok(Self {
            problem: rung.prompt.clone(),
            title: card.title.into(),
            methods: methods.collect(),
            is_told: true,
            writer: slip::writer(&rung, drawn.world.as_ref()),
            rung,
        })
    }

    /// What an example is made of.
    pub fn of(example: &Example) -> Result<Self, NoWorking> {
        match &example.drawn {
            Some(drawn) => {
                let method = Some(example.method);
                Self::drawn(&Drawn { method, ..drawn.clone() })
            }
            None => Self::typed(&example.problem, Some(example.method)),
        }
    }

    /// Its lines, with a slip in them where one was put in, and written out as far as it is wished.
    pub fn lines(&self, detail: Detail, slip: Option<&PutIn>) -> Option<Vec<WorkingLine>> {
        let lines = match slip {
            Some(slip) if slip.name != self.writer => return None,
            Some(slip) => slip::broken(&self.rung, slip)?,
            None => self.told(),
        };
        Some(match detail {
            Detail::WrittenOut => detail::written_out(lines),
            Detail::Usual | Detail::Brisk => lines,
        })
    }

    /// The working; that of a story ends with the answer in words.
    fn told(&self) -> Vec<WorkingLine> {
        let mut lines = self.rung.working.clone();
        let answer = &self.rung.answer.text;
        if self.rung.story && !lines.iter().any(|line| line.math == *answer) {
            lines.push(WorkingLine::said(answer, "The answer in words", Role::Concludes));
        }
        lines
    }

    /// The example, as it is before anything is changed.
    pub fn example(self, drawn: Option<&Drawn>, detail: Detail, slip: Option<PutIn>) -> Example {
        let lines = self.lines(detail, slip.as_ref());
        let (slip, lines) = match lines {
            Some(lines) => (slip, lines),
            None => (None, self.lines(detail, None).unwrap_or_default()),
        };
        let working = lines.into_iter().enumerate().map(|(at, line)| ExampleLine::made(at, line));
        let mut made = Example {
            prompt: if self.is_told { self.rung.prompt.clone() } else { String::new() },
            problem: self.problem,
            drawn: drawn.cloned(),
            figure: self.rung.figure,
            skill: self.rung.skill,
            title: self.title,
            method: self.rung.method,
            methods: self.methods,
            detail,
            slip,
            working: working.collect(),
        };
        if detail == Detail::Brisk {
            detail::fold(&mut made);
        }
        made
    }
}

impl Example {
    /// What its teacher made of `before` laid over the same lines of this one: reasons and blanks. Lines are the same
    /// when `same` says so of their mathematics.
    pub(super) fn keeping(mut self, before: &Self, same: impl Fn(&str, &str) -> bool) -> Self {
        for line in &mut self.working {
            let old = before.working.iter().find(|old| same(&old.line.math, &line.line.math));
            let Some(old) = old else { continue };
            if old.reworded {
                line.line.reason.clone_from(&old.line.reason);
                line.reworded = true;
            }
            line.leave_out(&old.blanks);
        }
        self
    }
}
