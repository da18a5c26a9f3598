//! In which steps a slide is revealed: it stands in a row of moments, and each adds one part of one block.

use super::blocks::{Block, BlockKind};
use super::example::{Example, ExampleLine};
use super::slide::Slide;
use serde::Serialize;
use teaching::verdict::VerdictWord;
use utoipa::ToSchema;

/// How a slide is revealed.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, ToSchema)]
pub struct SlideReveal {
    /// Its moments, the first as it stands when it is put up.
    pub moments: Vec<Moment>,
    /// Its blocks, in their order.
    pub blocks: Vec<BlockReveal>,
}

/// A slide at one moment.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, ToSchema)]
pub struct Moment {
    /// How many steps of each block show: 0 for one that has not come yet.
    pub shown: Vec<u16>,
    /// What came last, to be spoken.
    pub says: String,
}

/// How a block is revealed.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, ToSchema)]
pub struct BlockReveal {
    /// Its answer, in plain text; empty where it asks nothing.
    pub answer: String,
    /// The lines of a worked example.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub example: Option<Reveal>,
}

/// How a worked example is revealed.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, ToSchema)]
pub struct Reveal {
    /// How many steps it takes.
    pub steps: u16,
    /// When each line comes.
    pub lines: Vec<LineReveal>,
    /// In which step a slip that was put in is told.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub told: Option<u16>,
}

/// When a line comes, in steps from 1; a line that is done in one go with the one below comes with that.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, ToSchema)]
pub struct LineReveal {
    /// In which step it appears.
    pub appears: u16,
    /// In which step what was left out of it is filled in.
    pub filled: u16,
}

impl Example {
    /// How it is revealed: a line with something left out takes two steps, and a slip is told at the end.
    #[must_use]
    pub fn reveal(&self) -> Reveal {
        let mut steps = 0;
        let mut lines: Vec<LineReveal> = Vec::new();
        for line in &self.working {
            // Until the line below comes, it comes with none.
            let appears = steps + 1;
            let filled = appears + u16::from(line.asked.is_some());
            if !line.folded {
                steps = filled;
            }
            lines.push(LineReveal { appears, filled });
        }
        let told = self.slip.as_ref().map(|_| steps + 1);
        Reveal { steps: told.unwrap_or(steps), lines, told }
    }

    /// What step `step` adds, to be spoken.
    pub(crate) fn spoken(&self, step: u16) -> String {
        let reveal = self.reveal();
        if reveal.told.is_some_and(|told| step >= told) {
            let broken = self.working.iter().find(|line| line.line.verdict == VerdictWord::Breaks);
            return broken.map(|line| line.says.clone()).unwrap_or_default();
        }
        let mut shown = self.working.iter().zip(&reveal.lines).enumerate();
        let last = shown.rfind(|(_, (line, when))| !line.folded && when.appears <= step);
        let Some((at, (line, when))) = last else { return String::new() };
        let asked = line.asked.as_ref().filter(|_| step < when.filled);
        let speech = asked.map_or(line.line.speech.as_str(), |asked| asked.speech.as_str());
        let reason = if asked.is_some_and(|asked| asked.reason) {
            String::new()
        } else {
            self.reason_at(at).replace('$', "")
        };
        format!("{speech}. {reason}")
    }

    /// The reason of a line, with those of the lines that were done in one go with it.
    fn reason_at(&self, at: usize) -> String {
        let with_it = |line: &&ExampleLine| line.folded;
        let folded = self.working[..at].iter().rev().take_while(with_it).count();
        let reasons = self.working[at - folded..=at].iter().map(|line| line.line.reason.as_str());
        reasons.filter(|reason| !reason.is_empty()).collect::<Vec<_>>().join(" · ")
    }
}

impl Slide {
    /// How it is revealed.
    #[must_use]
    pub fn reveal(&self) -> SlideReveal {
        let block = |block: &Block| BlockReveal {
            answer: block.answer(),
            example: match block {
                Block::WorkedExample(worked) => Some(worked.example.reveal()),
                _ => None,
            },
        };
        SlideReveal { moments: self.moments(), blocks: self.blocks.iter().map(block).collect() }
    }

    /// In which step a block comes: 0 for those that stand from the start.
    fn comes(&self, at: usize) -> u16 {
        self.comes.get(at).copied().unwrap_or(0)
    }

    /// The moments of the slide, the first as it stands when it is put up.
    #[must_use]
    pub fn moments(&self) -> Vec<Moment> {
        let mut moments: Vec<Moment> = Vec::new();
        let mut shown = vec![0; self.blocks.len()];
        let mut groups: Vec<u16> = (0..self.blocks.len()).map(|at| self.comes(at)).collect();
        groups.sort_unstable();
        groups.dedup();
        if groups.first() != Some(&0) {
            self.keep(&mut moments, &shown);
        }
        for group in groups {
            let here: Vec<usize> =
                (0..self.blocks.len()).filter(|&at| self.comes(at) == group).collect();
            // All of a group come at once, but for a second example, which waits until the first is done.
            let waits = |at: usize| {
                let alone = |&other: &usize| self.blocks[other].comes_alone();
                alone(&at) && here.iter().copied().find(alone) != Some(at)
            };
            here.iter().filter(|&&at| !waits(at)).for_each(|&at| shown[at] = 1);
            self.keep(&mut moments, &shown);
            for &at in &here {
                if shown[at] == 0 {
                    shown[at] = 1;
                    self.keep(&mut moments, &shown);
                }
                for step in 2..=self.blocks[at].steps() {
                    shown[at] = step;
                    self.keep(&mut moments, &shown);
                }
            }
        }
        moments
    }

    /// One more moment, with what it adds to the one before.
    fn keep(&self, moments: &mut Vec<Moment>, shown: &[u16]) {
        let before = |at: usize| moments.last().map_or(0, |moment| moment.shown[at]);
        let new = (0..shown.len()).filter(|&at| shown[at] != before(at));
        let says: Vec<String> = new
            .map(|at| self.blocks[at].spoken(shown[at]))
            .filter(|says| !says.is_empty())
            .collect();
        moments.push(Moment { shown: shown.to_vec(), says: says.join(" ") });
    }
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::PhaseKind;
    use crate::blocks::{QuestionBlock, TextBlock, WorkedExampleBlock};

    fn slide(blocks: Vec<Block>, comes: Vec<u16>) -> Slide {
        Slide { comes, ..Slide::new(1, "Ratio", PhaseKind::Teach, blocks) }
    }

    fn text(text: &str) -> Block {
        TextBlock { text: text.into() }.into()
    }

    fn asked(answer: &str) -> Block {
        QuestionBlock::open("Why?", answer).into()
    }

    fn example(problem: &str) -> Block {
        WorkedExampleBlock::from(Example::typed(problem, None).expect(problem)).into()
    }

    fn shown(slide: &Slide) -> Vec<Vec<u16>> {
        slide.moments().into_iter().map(|moment| moment.shown).collect()
    }

    #[test]
    fn an_empty_slide_has_one_moment() {
        assert_eq!(shown(&slide(vec![], vec![])), [Vec::<u16>::new()]);
    }

    #[test]
    fn what_stands_from_the_start_comes_first_and_answers_one_step_later() {
        let all = slide(vec![text("Today"), asked("Because."), asked("")], vec![]);
        assert_eq!(shown(&all), [[1, 1, 1], [1, 2, 1]]);
        let says: Vec<String> = all.moments().into_iter().map(|moment| moment.says).collect();
        assert_eq!(says, ["Today Why? Why?", "Because."]);
    }

    #[test]
    fn blocks_come_in_their_order() {
        let later = slide(vec![text("Last"), text("First"), text("Second")], vec![2, 0, 1]);
        assert_eq!(shown(&later), [[0, 1, 0], [0, 1, 1], [1, 1, 1]]);
        let none_at_first = slide(vec![text("Later")], vec![1]);
        assert_eq!(shown(&none_at_first), [[0], [1]]);
    }

    #[test]
    fn a_second_example_waits_until_the_first_is_done() {
        let two = slide(vec![example("4x = 20"), example("x + 1 = 3")], vec![]);
        assert_eq!(shown(&two), [[1, 0], [2, 0], [2, 1], [2, 2]]);
        let reveal = two.reveal();
        assert_eq!(reveal.moments.len(), 4);
        let steps = reveal.blocks[0].example.as_ref().expect("an example");
        assert_eq!((steps.steps, steps.told), (2, None));
        assert_eq!(reveal.moments[1].says, "x equals 5. Divide both sides by 4");
    }

    #[test]
    fn a_line_with_something_left_out_takes_two_steps_and_one_done_in_one_go_takes_none() {
        let mut worked = Example::typed("3(2x - 5) = 27", None).expect("worked");
        worked.working[1].folded = true;
        let reveal = worked.reveal();
        let when: Vec<(u16, u16)> =
            reveal.lines.iter().map(|line| (line.appears, line.filled)).collect();
        assert_eq!((reveal.steps, &when[..]), (3, &[(1, 1), (2, 2), (2, 2), (3, 3)][..]));
        assert!(worked.spoken(2).contains(" · "), "{}", worked.spoken(2));
    }
}
