//! What is asked and how it is answered, wherever it stands: the shape in which every check of a question, its
//! working and its answer reads it.

use super::Spot;

/// A text with its place.
#[derive(Debug, Clone, PartialEq, Eq)]
pub(super) struct Placed {
    /// Where it stands.
    pub place: Spot,
    /// Its words; mathematics stands between dollar signs, or plainly.
    pub text: String,
}

/// Something that is asked, with what is said to answer it.
#[derive(Debug, Clone, PartialEq, Eq)]
pub(super) struct Task {
    /// What is asked, with the story before it.
    pub prompt: Placed,
    /// The lines of its working, in order.
    pub working: Vec<Placed>,
    /// Its answer; empty words where only its place was left.
    pub answer: Option<Placed>,
    /// What can be read on its pictures.
    pub pictures: Vec<Placed>,
    /// Whether it is one of several choices, or otherwise answered by a mark rather than by words.
    pub is_marked: bool,
}

impl Task {
    /// A task of which only the question is known.
    pub fn asking(place: Spot, prompt: impl Into<String>) -> Self {
        Self {
            prompt: Placed { place, text: prompt.into() },
            working: Vec::new(),
            answer: None,
            pictures: Vec::new(),
            is_marked: false,
        }
    }

    /// Its working and its answer, in order.
    pub fn replies(&self) -> impl Iterator<Item = &Placed> {
        self.working.iter().chain(&self.answer)
    }
}
