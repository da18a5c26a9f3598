//! What the files of the skills are written with, in one place; see `docs/add-a-skill.md`.

pub(super) use crate::draw::Draw;
pub(super) use crate::problem::Posed;
pub(super) use crate::scenario;
pub(super) use crate::skill::{Card, Method, Skill, Stage, Strand, Term};
pub(super) use crate::slips::{Named, Slip};
#[allow(unused_imports, reason = "geometry")]
pub(super) use crate::typeset::{
    Lines, bracketed, decimal, fraction, line, measured, tex, tex_measured,
};
pub(super) use algebra::Rational;
pub(super) use algebra::form::Form;
pub(super) use algebra::number::from_int;
pub(super) use num_integer::{gcd, lcm};

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
