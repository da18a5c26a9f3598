//! A slide as a student sees it: what has not come yet is not in it.

use lesson::blocks::TextBlock;
use lesson::{Asks, Block, Slide, SlideReveal};

/// What of a slide stands on the wall at its moment `step`, from 1, and how it is revealed: its blocks in their places,
/// without what comes later, notes or answers.
#[must_use]
pub fn seen(slide: &Slide, step: u16) -> (Slide, SlideReveal) {
    let mut reveal = slide.reveal();
    let moments = slide.moments();
    let at = usize::from(step.max(1)).min(moments.len()) - 1;
    for moment in reveal.moments.iter_mut().skip(at + 1) {
        moment.says.clear();
    }
    for block in &mut reveal.blocks {
        block.answer.clear();
    }
    let shown = |block: usize| moments.get(at).and_then(|moment| moment.shown.get(block)).copied();
    let mut seen = slide.clone();
    seen.notes = String::new();
    for (nth, block) in seen.blocks.iter_mut().enumerate() {
        hide(block, shown(nth).unwrap_or(0));
    }
    (seen, reveal)
}

/// Takes out of a block what does not show in its first `shown` steps.
fn hide(block: &mut Block, shown: u16) {
    if shown == 0 {
        *block = TextBlock { text: String::new() }.into();
        return;
    }
    match block {
        Block::Question(question) if shown < 2 => match &mut question.asks {
            Asks::Open { answer } => answer.clear(),
            Asks::Choice { choices } => choices.iter_mut().for_each(|choice| choice.right = false),
            Asks::TrueOrFalse { is_true, why } => (*is_true, *why) = (false, String::new()),
        },
        Block::Practice(practice) if shown < 2 => {
            let rung = &mut practice.rung;
            rung.answer.text.clear();
            rung.answer.value.clear();
            rung.answer.latex = rung.answer.latex.take().map(|_| String::new());
            rung.working.clear();
            rung.choices.clear();
            rung.line.clear();
            rung.given.clear();
            if let Some(flawed) = &mut rung.flawed {
                (flawed.breaks, flawed.slip) = (None, None);
            }
        }
        Block::WorkedExample(worked) => {
            let example = &mut worked.example;
            let reveal = example.reveal();
            let come = reveal.lines.iter().filter(|line| line.appears <= shown).count();
            example.working.truncate(come);
            for (line, when) in example.working.iter_mut().zip(&reveal.lines) {
                if let Some(asked) = line.asked.as_ref().filter(|_| when.filled > shown) {
                    line.line.latex = Some(asked.latex.clone());
                    line.line.speech.clone_from(&asked.speech);
                    line.line.math.clear();
                    if asked.reason {
                        line.line.reason.clear();
                    }
                }
            }
            if reveal.told.is_some_and(|told| told > shown) {
                example.slip = None;
                for line in &mut example.working {
                    line.says.clear();
                }
            }
        }
        _ => {}
    }
}
