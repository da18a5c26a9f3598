//! A lesson from a text in CommonMark: its headings become slides, its questions are asked, its answers come one step
//! later.

use super::said::{Said, read};
use lesson::blocks::{QuestionBlock, TableBlock, TextBlock, WordBlock};
use lesson::{Asks, BadLesson, Block, LESSON_VERSION, Lesson, MOST_SLIDES, PhaseKind, Slide};
use teaching::skill::Strand;

/// A lesson from a text. The first heading is its title, each further one a slide.
///
/// # Errors
/// [`BadLesson`] where it has no words, or more than a lesson can hold.
pub fn lesson_from_text(
    text: &str,
    grade: u8,
    strand: Strand,
    minutes: u16,
) -> Result<Lesson, BadLesson> {
    let mut title: Option<String> = None;
    let mut objectives = Vec::new();
    let mut slides: Vec<Slide> = Vec::new();
    for said in read(text) {
        if let Said::Heading(heading) = &said {
            if title.is_none() && slides.is_empty() {
                title = Some(heading.clone());
            } else {
                slides.push(slide(slides.len(), heading));
            }
            continue;
        }
        if let Said::Objective(goal) = said {
            objectives.push(goal);
            continue;
        }
        if slides.is_empty() {
            slides.push(slide(0, title.as_deref().unwrap_or("Start")));
        }
        let Some(last) = slides.last_mut() else { continue };
        match said {
            Said::Text(text) => match last.blocks.last_mut() {
                // What stands together stays together.
                Some(Block::Text(TextBlock { text: above })) => *above = format!("{above}\n{text}"),
                _ => last.blocks.push(Block::Text(TextBlock { text })),
            },
            Said::Question { prompt, answer } => {
                last.blocks
                    .push(Block::Question(QuestionBlock { prompt, asks: Asks::Open { answer } }));
            }
            Said::Word { word, means } => {
                last.blocks.push(Block::Word(WordBlock { word, means, figure: None }));
            }
            Said::Table { heads, rows } => {
                last.blocks.push(Block::Table(TableBlock { heads, rows }))
            }
            Said::Heading(_) | Said::Objective(_) => {}
        }
    }
    if slides.is_empty() {
        return Err(BadLesson::because("There are no words in this text to make slides of."));
    }
    if slides.len() > MOST_SLIDES {
        return Err(BadLesson::because("This text would make more than 120 slides. Split it."));
    }
    let topic: String =
        title.unwrap_or_else(|| "A lesson from a text".into()).chars().take(120).collect();
    let fresh = Lesson::new(&topic, grade, strand, minutes)?;
    let lesson = Lesson { version: LESSON_VERSION, objectives, slides, ..fresh };
    lesson.check()?;
    Ok(lesson)
}

fn slide(index: usize, title: &str) -> Slide {
    let id = u32::try_from(index + 1).unwrap_or(u32::MAX);
    let lower = title.to_lowercase();
    let phase = [
        (PhaseKind::Starter, &["starter", "warm", "recall"][..]),
        (
            PhaseKind::IndependentPractice,
            &["independent", "exercise", "homework", "practice", "practise", "on your own"],
        ),
        (PhaseKind::GuidedPractice, &["guided", "together", "check", "try"]),
        (PhaseKind::Review, &["review", "exit", "look back", "summary", "answers"]),
    ]
    .into_iter()
    .find(|(_, words)| words.iter().any(|word| lower.contains(word)))
    .map_or(PhaseKind::Teach, |(phase, _)| phase);
    let title: String = title.chars().take(200).collect();
    Slide { minutes: 5, ..Slide::new(id, title, phase, Vec::new()) }
}

#[cfg(test)]
mod tests {
    use super::*;
    use lesson::BlockKind;

    const TEXT: &str = "# Percent\n\n- I can find a percent of an amount.\n\n## Starter\n\nWhat is half of 60?\n\nAnswer: 30\n\n## Words\n\n**Percent**: of a hundred.\n\n| part | whole |\n|---|---|\n| 15 | 60 |\n\n## Exit ticket\n\nFind 10% of 90. Answer: 9\n";

    #[test]
    fn a_text_becomes_slides() {
        let lesson = lesson_from_text(TEXT, 7, Strand::FractionsRatio, 45).expect("a lesson");
        assert_eq!(lesson.title, "Percent");
        assert_eq!(lesson.objectives, ["I can find a percent of an amount."]);
        let told: Vec<(&str, PhaseKind, usize)> = lesson
            .slides
            .iter()
            .map(|slide| (slide.title.as_str(), slide.phase, slide.blocks.len()))
            .collect();
        assert_eq!(
            told,
            [
                ("Starter", PhaseKind::Starter, 1),
                ("Words", PhaseKind::Teach, 2),
                ("Exit ticket", PhaseKind::Review, 1)
            ]
        );
        assert_eq!(lesson.slides[0].blocks[0].answer(), "30");
        assert!(
            matches!(&lesson.slides[1].blocks[0], Block::Word(WordBlock { word, .. }) if word == "Percent")
        );
    }

    #[test]
    fn an_empty_text_says_what_is_wrong() {
        assert!(lesson_from_text("  \n", 7, Strand::Number, 45).is_err());
    }
}
