//! What the files of the skills are written with, in one place; see `docs/add-a-skill.md`.

pub(super) use crate::draw::Draw;
pub(super) use crate::problem::Posed;
pub(super) use crate::scenario;
pub(super) use crate::skill::{Card, Method, Skill, Stage, Strand, Term};
pub(super) use crate::slips::{Named, Slip};

pub(super) use crate::tasks;
pub(super) use crate::typeset::{
    Lines, bracketed, decimal, fraction, line, measured, tex, tex_as_typed,
};
pub(super) use crate::working::Working;
pub(super) use algebra::Rational;
pub(super) use algebra::form::Form;
pub(super) use algebra::number::from_int;
pub(super) use num_integer::{gcd, lcm};

/// The working of an equation, inequality or system as it is written on a board, by a method or the usual one.
pub(super) fn board(typed: &str, letter: &str, method: Option<&str>) -> Option<Working> {
    let problem = line(typed);
    let found = if matches!(problem, algebra::Line::AllOf(_)) {
        tasks::system(&problem, method)
    } else {
        tasks::solve(&problem, letter, method, &algebra::Assumptions::default())
    };
    found.ok().map(|worked| worked.working)
}

/// The words a skill needs, each with what it means.
macro_rules! terms {
    ($($word:literal : $means:literal),* $(,)?) => {
        &[$(Term { word: $word, means: $means }),*]
    };
}

/// The ways a skill may be taught, the usual one first.
macro_rules! methods {
    ($($id:literal : $title:literal),* $(,)?) => {
        &[$(Method { id: $id, title: $title }),*]
    };
}

/// The slips of a skill: an id, a sentence to the student, a sentence to the teacher.
macro_rules! slips {
    ($($id:literal : $student:literal, $teacher:literal);* $(;)?) => {
        static SLIPS: &[&dyn Slip] =
            &[$(&Named { id: $id, to_student: $student, to_teacher: $teacher }),*];
    };
}

pub(super) use {methods, slips, terms};
