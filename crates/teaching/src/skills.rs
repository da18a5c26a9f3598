//! The catalogue: every skill, one file each, in folders by strand.

mod algebra {
    //! Algebra and functions.
    pub mod equations_linear;
}
mod fractions_ratio {
    //! Fractions, ratio, percent.
    pub mod ratio_missing_term;
}

use crate::skill::Skill;

/// The version of the catalogue. It changes whenever the same seed would give another sheet.
pub const CATALOGUE_VERSION: u32 = 1;

/// Every skill. One line here for each file.
pub static SKILLS: &[&dyn Skill] =
    &[&fractions_ratio::ratio_missing_term::RatioMissingTerm, &algebra::equations_linear::Linear];

/// The skill with that id.
#[must_use]
pub fn find(id: &str) -> Option<&'static dyn Skill> {
    SKILLS.iter().copied().find(|skill| skill.card().id == id)
}

#[cfg(test)]
mod tests;
