//! What is done with a finding: mended in one go, or dismissed with a reason.

use super::lesson::look;
use super::{Kind, Spotted};
use lesson::BlockKind;
use lesson::{Lesson, mends};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

/// A finding with its name.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct Named {
    /// The same thing has the same name.
    pub name: String,
    /// What was found.
    #[serde(flatten)]
    pub spotted: Spotted,
    /// Why it was dismissed, where it was.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub dismissed: Option<String>,
}

/// What a second look at a lesson found.
#[derive(Debug, Clone, Default, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct Look {
    /// What is to be looked at.
    pub open: Vec<Named>,
    /// What was dismissed, and is there still.
    pub dismissed: Vec<Named>,
}

/// Looks a lesson over.
#[must_use]
pub fn second_look(lesson: &Lesson) -> Look {
    let named = |spotted: Spotted| {
        let name = spotted.name();
        let dismissed = lesson.dismissed.iter().find(|one| one.name == name);
        Named { dismissed: dismissed.map(|one| one.reason.clone()), name, spotted }
    };
    let (dismissed, open) =
        look(lesson).into_iter().map(named).partition(|named| named.dismissed.is_some());
    Look { open, dismissed }
}

/// The lesson with the finding of that name mended; none where there is no such finding, or no mend for it.
#[must_use]
pub fn mended(lesson: &Lesson, name: &str) -> Option<Lesson> {
    let Spotted { place, finding } =
        look(lesson).into_iter().find(|spotted| spotted.name() == name)?;
    let mend = finding.mend?;
    let mut lesson = lesson.clone();
    if finding.kind == Kind::MinutesDoNotAdd {
        let mend = mends(&lesson.phases, lesson.minutes).into_iter().next()?;
        for (phase, minutes) in lesson.phases.iter_mut().zip(mend.minutes) {
            phase.minutes = minutes;
        }
        lesson.minutes = mend.length;
        return Some(lesson);
    }
    let in_place = |text: &mut String| {
        let there = text.contains(&finding.found);
        if there {
            *text = text.replacen(&finding.found, &mend, 1);
        }
        there
    };
    let mut texts: Vec<&mut String> = match place.slide {
        None => lesson.objectives.iter_mut().chain(&mut lesson.sheet.criteria).collect(),
        Some(id) => {
            let slide = lesson.slides.iter_mut().find(|slide| slide.id == id)?;
            match place.block {
                Some(at) => slide.blocks.get_mut(at)?.texts_mut(),
                None => vec![&mut slide.title, &mut slide.notes],
            }
        }
    };
    texts.iter_mut().any(|text| in_place(text)).then_some(lesson)
}

#[cfg(test)]
mod tests {
    use super::*;
    use lesson::blocks::TextBlock;
    use lesson::{Block, Dismissed};
    use teaching::skill::Strand;

    fn lesson(texts: &[&str]) -> Lesson {
        let mut lesson = Lesson::new("Ratio", 6, Strand::FractionsRatio, 45).expect("fine");
        lesson.slides[0].blocks =
            texts.iter().map(|&text| Block::Text(TextBlock { text: text.into() })).collect();
        lesson
    }

    fn texts(lesson: &Lesson) -> Vec<&str> {
        lesson.slides[0].blocks.iter().flat_map(Block::texts).collect()
    }

    #[test]
    fn a_mend_changes_what_was_found_and_nothing_else() {
        let lesson = lesson(&["Today", "We know: 6 × 7 = 41, and 6 × 8 = 48."]);
        let look = second_look(&lesson);
        assert_eq!(look.open.len(), 1, "{look:?}");
        let after = mended(&lesson, &look.open[0].name).expect("mended");
        assert_eq!(texts(&after), ["Today", "We know: 6 × 7 = 42, and 6 × 8 = 48."]);
        assert_eq!(second_look(&after), Look::default());
        assert_eq!(mended(&after, &look.open[0].name), None);
    }

    #[test]
    fn minutes_are_mended_by_the_first_way_that_is_offered() {
        let mut lesson = lesson(&["Today"]);
        lesson.phases[1].minutes += 7;
        let look = second_look(&lesson);
        let after = mended(&lesson, &look.open[0].name).expect("mended");
        assert_eq!((after.minutes_over(), after.minutes), (0, 45));
    }

    #[test]
    fn what_was_dismissed_stays_so_until_its_words_change() {
        let mut lesson = lesson(&["The times table: 6 × 7 = 41."]);
        let name = second_look(&lesson).open[0].name.clone();
        lesson.dismissed.push(Dismissed { name, reason: "It is there to be found.".into() });
        let look = second_look(&lesson);
        assert!(look.open.is_empty());
        assert_eq!(look.dismissed[0].dismissed.as_deref(), Some("It is there to be found."));
        lesson.slides[0].blocks[0] =
            Block::Text(TextBlock { text: "The times table: 6 × 7 = 43.".into() });
        assert_eq!(second_look(&lesson).open.len(), 1);
    }
}
