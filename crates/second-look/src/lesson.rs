//! A whole lesson: every text of it, its questions, its plan, what stands twice, and what is used before it is defined.

use super::reading::has_word;
use super::task::{Placed, Task};
use super::{
    Finding, Kind, Spot, Spotted, look_at_task, look_at_text, objectives, people, questions,
};
use lesson::{Asks, Block, BlockKind, Lesson, Slide, mends};

/// More characters than this on one slide are set too small for the back row.
const BACK_ROW: usize = 620;

/// Everything that is wrong with a lesson as it stands, in the order in which it is read.
#[must_use]
pub fn look(lesson: &Lesson) -> Vec<Spotted> {
    let mut found = plan(lesson);
    let mut problems: Vec<String> = Vec::new();
    for (index, slide) in lesson.slides.iter().enumerate() {
        found.extend(of_slide(slide));
        for (at, block) in slide.blocks.iter().enumerate() {
            let place = Spot { slide: Some(slide.id), block: Some(at), line: None };
            let all = of_block(block).into_iter().map(|finding| Spotted { place, finding });
            found.extend(all);
            found.extend(task(slide, block, place).iter().flat_map(look_at_task));
            let Some(problem) = block.claims().problem.map(str::to_owned) else { continue };
            if problems.contains(&problem) {
                let says = "This problem stands in the lesson twice.";
                let finding = Finding::new(Kind::DuplicateProblem, problem.as_str(), says);
                found.push(Spotted { place, finding });
            }
            problems.push(problem);
        }
        found.extend(undefined(lesson, index));
    }
    found
}

/// Minutes, objectives, and what practises them.
fn plan(lesson: &Lesson) -> Vec<Spotted> {
    let mut found = Vec::new();
    let over = lesson.minutes_over();
    let count = over.unsigned_abs();
    let minutes = if count == 1 { "1 minute".to_owned() } else { format!("{count} minutes") };
    let says = match over {
        0 => None,
        1.. => Some(format!("The phases take {minutes} more than the lesson has.")),
        _ => Some(format!("The phases leave {minutes} free.")),
    };
    if let Some(says) = says {
        let mend = mends(&lesson.phases, lesson.minutes).into_iter().next();
        let finding =
            Finding::new(Kind::MinutesDoNotAdd, "", says).mended(mend.map(|mend| mend.says));
        found.push(Spotted { place: Spot::default(), finding });
    }
    let blocks = || lesson.slides.iter().flat_map(|slide| &slide.blocks);
    if !blocks().any(|block| block.claims().practises) {
        for objective in lesson.objectives.iter().filter(|text| !text.trim().is_empty()) {
            let says =
                "Nothing in this lesson practises it: add a question, a problem or a ladder.";
            let finding = Finding::new(Kind::ObjectiveUnpractised, objective.as_str(), says);
            found.push(Spotted { place: Spot::default(), finding });
        }
    }
    let goals: Vec<Placed> = lesson
        .objectives
        .iter()
        .map(|text| Placed { place: Spot::default(), text: text.clone() })
        .collect();
    let practice: Vec<String> = blocks()
        // A ladder may hang on the lesson without standing on a slide: what is shown is taken for practised there.
        .map(|block| (block, block.claims()))
        .filter(|(_, claims)| claims.practises || !claims.shows.is_empty())
        .map(|(block, claims)| {
            // What is drawn, and what a ladder is called, tells what it practises too.
            let pictures = block.figures().into_iter().map(labels).collect::<Vec<_>>().join(" ");
            format!("{} {} {pictures}", block.texts().join(" "), claims.shows)
        })
        .collect();
    if !blocks().any(|block| block.claims().practises_more) {
        found.extend(objectives::look(&goals, &practice));
    }
    for text in lesson.objectives.iter().chain(&lesson.sheet.criteria) {
        for finding in look_at_text(text) {
            found.push(Spotted { place: Spot::default(), finding });
        }
    }
    found
}

/// The heading, the notes, and how much stands on a slide.
fn of_slide(slide: &Slide) -> Vec<Spotted> {
    let place = Spot { slide: Some(slide.id), ..Spot::default() };
    let mut all: Vec<Finding> =
        [&slide.title, &slide.notes].into_iter().flat_map(|text| look_at_text(text)).collect();
    if slide.title.trim().is_empty() {
        all.push(Finding::new(Kind::Empty, "", "This slide has no heading."));
    }
    if slide.blocks.is_empty() {
        all.push(Finding::new(Kind::Empty, "", "Nothing stands on this slide but its heading."));
    }
    let length: usize = slide.blocks.iter().map(|block| block.claims().room).sum();
    if length > BACK_ROW {
        let says = "There is more on this slide than the back row can read. Split it in two.";
        all.push(Finding::new(Kind::SmallText, slide.title.as_str(), says));
    }
    all.into_iter().map(|finding| Spotted { place, finding }).collect()
}

/// What is wrong with what stands on a block.
fn of_block(block: &Block) -> Vec<Finding> {
    let claims = block.claims();
    if claims.is_empty {
        return vec![Finding::new(Kind::Empty, "", "This part of the slide is empty.")];
    }
    let asked = claims.asks.map(|(prompt, asks)| questions::look(prompt, asks));
    let mut found = asked.unwrap_or_default();
    found.extend(claims.statements.iter().flat_map(|text| look_at_text(text)));
    found.extend(claims.stories.into_iter().filter_map(people::within_text));
    if claims.is_unseen {
        let says = "This image has no words for those who cannot see it.";
        found.push(Finding::new(Kind::NoAlternativeText, "", says));
    }
    found
}

/// A question as what it asks, with the pictures of its slide.
fn task(slide: &Slide, block: &Block, place: Spot) -> Option<Task> {
    let (prompt, asks) = block.claims().asks?;
    let pictures = slide.blocks.iter().enumerate().flat_map(|(at, block)| {
        let place = Spot { block: Some(at), ..place };
        let placed = |figure| Placed { place, text: labels(figure) };
        block.claims().pictures.into_iter().map(placed).collect::<Vec<_>>()
    });
    let answer = match asks {
        Asks::Open { answer } if !answer.trim().is_empty() => {
            Some(Placed { place, text: answer.clone() })
        }
        _ => None,
    };
    let task = Task {
        answer,
        pictures: pictures.collect(),
        is_marked: !matches!(asks, Asks::Open { .. }),
        ..Task::asking(place, prompt)
    };
    (!prompt.trim().is_empty()).then_some(task)
}

/// The words that stand on a picture.
fn labels(figure: &teaching::figure::Figure) -> String {
    fn collect(value: &serde_json::Value, found: &mut Vec<String>) {
        match value {
            serde_json::Value::String(text) => found.push(text.clone()),
            serde_json::Value::Array(all) => all.iter().for_each(|one| collect(one, found)),
            serde_json::Value::Object(all) => all.values().for_each(|one| collect(one, found)),
            _ => {}
        }
    }
    let mut found = Vec::new();
    collect(&serde_json::to_value(figure).unwrap_or_default(), &mut found);
    found.join(" ; ")
}

/// Words of a slide that are defined on a later one only. What the lesson is about may be said before it is defined.
fn undefined(lesson: &Lesson, index: usize) -> Vec<Spotted> {
    let (before, after) = lesson.slides.split_at(index);
    let Some(slide) = after.first() else { return Vec::new() };
    let announces = |text: &str| {
        text.contains(&lesson.topic) || lesson.objectives.iter().any(|objective| objective == text)
    };
    let defines = |slide: &Slide| -> Vec<String> {
        let words = slide.blocks.iter().filter_map(|block| block.claims().defines);
        let words = words.map(|word| word.trim().to_lowercase());
        words.filter(|word| word.chars().count() > 2).collect()
    };
    let known: Vec<String> = before.iter().chain([slide]).flat_map(defines).collect();
    let later = after.iter().skip(1).flat_map(defines).filter(|word| !known.contains(word));
    let mut found = Vec::new();
    for word in later {
        for (at, block) in slide.blocks.iter().enumerate() {
            // A worked example says what a skill says; only a teacher's own words are meant.
            let own = block.claims().own_words;
            let texts = block.texts();
            let uses = texts.iter().any(|text| has_word(text, &word) && !announces(text));
            if own && uses {
                let says = format!("“{word}” is used here, and defined on a later slide only.");
                let place = Spot { slide: Some(slide.id), block: Some(at), line: None };
                let finding = Finding::new(Kind::TermBeforeDefinition, word.as_str(), says);
                found.push(Spotted { place, finding });
            }
        }
    }
    found
}

#[cfg(test)]
mod tests {
    use super::*;
    use lesson::blocks::{PictureBlock, QuestionBlock, TextBlock, WordBlock};
    use lesson::{PhaseKind, Wanted};
    use skills::SKILLS;
    use teaching::skill::Strand;

    fn lesson(blocks: Vec<Vec<Block>>) -> Lesson {
        let mut lesson = Lesson::new("Ratio", 6, Strand::FractionsRatio, 45).expect("fine");
        lesson.slides = (1..)
            .zip(blocks)
            .map(|(id, blocks)| Slide::new(id, format!("Slide {id}"), PhaseKind::Teach, blocks))
            .collect();
        lesson
    }

    fn text(text: &str) -> Block {
        Block::Text(TextBlock { text: text.into() })
    }

    #[test]
    fn a_lesson_that_was_offered_is_clean() {
        for card in SKILLS.iter().map(|skill| skill.card()) {
            let skill = card.id.to_owned();
            let wanted = Wanted { skill, method: None, grade: None, minutes: 45, seed: 3 };
            let found = look(&wanted.offer().expect("offered").lesson);
            assert_eq!(found, [], "{}", card.id);
        }
    }

    #[test]
    fn each_finding_has_its_place() {
        let word = Block::Word(WordBlock {
            word: "ratio".into(),
            means: "how many times".into(),
            figure: None,
        });
        let mut lesson = lesson(vec![
            vec![text("Think of a ratio."), text("So 6 × 7 = 41.")],
            vec![word, text("A ratio says it all.")],
            vec![text("")],
        ]);
        lesson.objectives = vec!["I can share in a ratio.".into()];
        lesson.phases[0].minutes += 1;
        let told: Vec<(Kind, Option<u32>, Option<usize>)> = look(&lesson)
            .into_iter()
            .map(|spotted| (spotted.finding.kind, spotted.place.slide, spotted.place.block))
            .collect();
        assert_eq!(
            told,
            [
                (Kind::MinutesDoNotAdd, None, None),
                (Kind::ObjectiveUnpractised, None, None),
                (Kind::FalseEquality, Some(1), Some(1)),
                (Kind::TermBeforeDefinition, Some(1), Some(0)),
                (Kind::Empty, Some(3), Some(0)),
            ]
        );
    }

    #[test]
    fn an_empty_slide_is_told_and_a_picture_without_a_caption_is_not_empty() {
        let figure = teaching::figure::Figure::AreaGrid {
            across: vec!["x".into(), "3".into()],
            down: vec!["x".into(), "2".into()],
            cells: vec![vec!["x^2".into(), "3x".into()], vec!["2x".into(), "6".into()]],
        };
        let picture = Block::Picture(PictureBlock { figure, caption: String::new() });
        let told = look(&lesson(vec![vec![picture], vec![]]));
        let places: Vec<_> = told.iter().map(|one| (one.finding.kind, one.place.slide)).collect();
        assert_eq!(places, [(Kind::Empty, Some(2))]);
    }

    #[test]
    fn what_stands_twice_or_is_too_much_is_told() {
        let question = |prompt: &str| {
            Block::Question(QuestionBlock {
                prompt: prompt.into(),
                asks: lesson::Asks::Open { answer: String::new() },
            })
        };
        let lesson = lesson(vec![
            vec![question("Why?"), question("How?")],
            vec![question("Why?"), text(&"words ".repeat(120))],
        ]);
        let told: Vec<Kind> =
            look(&lesson).into_iter().map(|spotted| spotted.finding.kind).collect();
        assert_eq!(told, [Kind::SmallText, Kind::DuplicateProblem]);
    }
}
