//! Phases: the timed parts of a plan, and the mends where they do not add up to its length.

use super::{BadLesson, LONGEST_TEXT, fits};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

/// What a part of a lesson is for.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Hash, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum PhaseKind {
    /// Begins with what is known.
    Starter,
    /// Shows something new.
    Teach,
    /// Tries it together.
    GuidedPractice,
    /// Each on their own.
    IndependentPractice,
    /// Looks back.
    Review,
}

impl PhaseKind {
    /// All of them, in the order of a lesson.
    pub const ALL: [Self; 5] =
        [Self::Starter, Self::Teach, Self::GuidedPractice, Self::IndependentPractice, Self::Review];

    /// Tenths of a lesson that it takes when nothing else is asked for; looking back takes the rest.
    const fn tenths(self) -> u16 {
        match self {
            Self::Starter | Self::Review => 1,
            Self::Teach | Self::IndependentPractice => 3,
            Self::GuidedPractice => 2,
        }
    }
}

/// Who works with whom.
#[derive(Debug, Clone, Copy, Default, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum Grouping {
    /// All together.
    #[default]
    Class,
    /// Each alone.
    Alone,
    /// Two and two.
    Pairs,
    /// In small groups.
    Groups,
}

/// A timed part of the plan.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct Phase {
    /// What it is for.
    pub kind: PhaseKind,
    /// How long it takes.
    pub minutes: u16,
    /// Who works with whom.
    #[serde(default)]
    pub grouping: Grouping,
    /// What the teacher does.
    #[serde(default, skip_serializing_if = "String::is_empty")]
    pub teacher: String,
    /// What the students do.
    #[serde(default, skip_serializing_if = "String::is_empty")]
    pub students: String,
}

impl Phase {
    /// A phase without words yet.
    #[must_use]
    pub const fn new(kind: PhaseKind, minutes: u16) -> Self {
        let grouping = match kind {
            PhaseKind::IndependentPractice => Grouping::Alone,
            PhaseKind::GuidedPractice => Grouping::Pairs,
            _ => Grouping::Class,
        };
        Self { kind, minutes, grouping, teacher: String::new(), students: String::new() }
    }

    pub(super) fn check(&self) -> Result<(), BadLesson> {
        if self.minutes > 300 {
            return Err(BadLesson::because("A phase can take at most 300 minutes."));
        }
        if !fits(&self.teacher, LONGEST_TEXT) || !fits(&self.students, LONGEST_TEXT) {
            return Err(BadLesson::because("A text of a phase is too long. Shorten it."));
        }
        Ok(())
    }
}

/// The five phases over the whole length: about a tenth to begin, three tenths to show, two and three tenths to
/// practise, the rest to look back.
pub(super) fn phases(minutes: u16) -> Vec<Phase> {
    let mut left = minutes;
    let mut all: Vec<Phase> = PhaseKind::ALL
        .into_iter()
        .map(|kind| {
            let part = minutes * kind.tenths() / 10;
            left -= part;
            Phase::new(kind, part)
        })
        .collect();
    if let Some(last) = all.last_mut() {
        last.minutes += left;
    }
    all
}

/// Phases that add up to the length, and what was done for it.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, ToSchema)]
pub struct Mend {
    /// What it does, in short.
    pub says: String,
    /// The minutes of each phase then.
    pub minutes: Vec<u16>,
    /// The length of the lesson then.
    pub length: u16,
}

/// Ways to make phases add up to the length of a lesson; none where they do. Each of them leaves every phase that has
/// minutes with at least one.
#[must_use]
pub fn mends(phases: &[Phase], length: u16) -> Vec<Mend> {
    let sum: u32 = phases.iter().map(|phase| u32::from(phase.minutes)).sum();
    let (sum, whole) = (i64::from(sum), i64::from(length));
    if sum == whole || phases.is_empty() {
        return Vec::new();
    }
    let over = sum - whole;
    let now: Vec<i64> = phases.iter().map(|phase| i64::from(phase.minutes)).collect();
    let mut found = Vec::new();
    let mut offer = |says: String, minutes: Vec<i64>, length: u16| {
        let minutes: Option<Vec<u16>> =
            minutes.into_iter().map(|n| u16::try_from(n).ok()).collect();
        found.extend(minutes.map(|minutes| Mend { says, minutes, length }));
    };
    // The phase that can best bear it: the longest when it is too much, practice alone when there is time left.
    let at = if over > 0 {
        (0..now.len()).max_by_key(|&at| now[at])
    } else {
        phases.iter().position(|phase| phase.kind == PhaseKind::IndependentPractice).or(Some(0))
    };
    if let Some(at) = at.filter(|&at| now[at] > over) {
        let mut one = now.clone();
        one[at] -= over;
        let verb = if over > 0 { "Take" } else { "Give" };
        let to = if over > 0 { "from" } else { "to" };
        let name = name(phases[at].kind);
        offer(format!("{verb} {} {to} {name}", minutes(over.abs())), one, length);
    }
    if sum > 0 && now.len() > 1 {
        offer(format!("Fit all phases into {}", minutes(whole)), scaled(&now, whole), length);
    }
    if let Ok(longer) = u16::try_from(sum)
        && (5..=300).contains(&longer)
    {
        offer(format!("Make the lesson {} long", minutes(sum)), now, longer);
    }
    found
}

/// The same shares of another whole, in whole minutes that add up to it; what had minutes keeps one at least.
fn scaled(parts: &[i64], whole: i64) -> Vec<i64> {
    let sum: i64 = parts.iter().sum();
    let least = |part: i64| i64::from(part > 0);
    let mut new: Vec<i64> =
        parts.iter().map(|&part| (part * whole / sum).max(least(part))).collect();
    // The rest goes to those that lost most by rounding down, or is taken from the longest.
    while new.iter().sum::<i64>() < whole {
        let lost = |at: &usize| parts[*at] * whole - new[*at] * sum;
        let Some(at) = (0..new.len()).max_by_key(lost) else { break };
        new[at] += 1;
    }
    while new.iter().sum::<i64>() > whole {
        let Some(at) = (0..new.len()).max_by_key(|&at| new[at]).filter(|&at| new[at] > 1) else {
            break;
        };
        new[at] -= 1;
    }
    new
}

fn minutes(count: i64) -> String {
    if count == 1 { "1 minute".into() } else { format!("{count} minutes") }
}

/// What a phase is called within a sentence.
const fn name(kind: PhaseKind) -> &'static str {
    match kind {
        PhaseKind::Starter => "the starter",
        PhaseKind::Teach => "teaching",
        PhaseKind::GuidedPractice => "guided practice",
        PhaseKind::IndependentPractice => "independent practice",
        PhaseKind::Review => "the review",
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    fn of(minutes: &[u16]) -> Vec<Phase> {
        PhaseKind::ALL.into_iter().zip(minutes).map(|(kind, &n)| Phase::new(kind, n)).collect()
    }

    #[test]
    #[rustfmt::skip]
    fn a_mend_says_what_it_does() {
        let says = |minutes: &[u16], length| mends(&of(minutes), length).into_iter()
            .map(|mend| format!("{}: {:?} of {}", mend.says, mend.minutes, mend.length))
            .collect::<Vec<_>>();
        assert!(says(&[5, 15, 10, 10, 5], 45).is_empty());
        assert_eq!(says(&[5, 20, 10, 10, 5], 45), [
            "Take 5 minutes from teaching: [5, 15, 10, 10, 5] of 45",
            "Fit all phases into 45 minutes: [4, 18, 9, 9, 5] of 45",
            "Make the lesson 50 minutes long: [5, 20, 10, 10, 5] of 50",
        ]);
        assert_eq!(says(&[5, 15, 10, 9, 5], 45)[0], "Give 1 minute to independent practice: [5, 15, 10, 10, 5] of 45");
        assert_eq!(says(&[0, 0, 0, 0, 0], 45), ["Give 45 minutes to independent practice: [0, 0, 0, 45, 0] of 45"]);
        assert!(says(&[], 45).is_empty());
    }

    #[test]
    fn every_mend_adds_up_and_drops_no_phase() {
        for length in [5, 40, 45, 90, 300] {
            for first in 0..40 {
                let phases = of(&[first, 20, 1, 12, 300 - first]);
                for mend in mends(&phases, length) {
                    let sum: u16 = mend.minutes.iter().sum();
                    assert_eq!(sum, mend.length, "{mend:?}");
                    let kept = phases.iter().zip(&mend.minutes);
                    assert!(kept.into_iter().all(|(phase, n)| phase.minutes == 0 || *n > 0));
                }
            }
        }
    }

    #[test]
    fn the_phases_of_a_new_lesson_add_up_to_its_length() {
        for minutes in 5..=300 {
            let sum: u16 = phases(minutes).iter().map(|phase| phase.minutes).sum();
            assert_eq!(sum, minutes);
        }
    }
}
