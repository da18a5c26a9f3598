//! A whole lesson, offered from a topic of the catalogue: each of its parts can be replaced afterwards.

use super::blocks::{Asks, Block, Offered};
use super::needs::needs;
use super::phase::{Phase, PhaseKind, phases};
use super::sheet::{Prior, Sheet};
use super::slide::Slide;
use super::{BadLesson, LESSON_VERSION, Lesson};
use crate::bench::{Change, Placed, Plan, Refused, Source, change};
use crate::blocks::{
    LadderBlock, PracticeBlock, QuestionBlock, TalkBlock, TextBlock, WordBlock, WorkedExampleBlock,
};
use crate::example::{self, Example, ExampleChange};
use serde::{Deserialize, Serialize};
use skills::ladder::{Drawn, LadderOrder, Rung};
use teaching::figure::Figure;
use teaching::ids::MethodId;
use teaching::skill::{Card, Skill, Stage};
use utoipa::ToSchema;

/// Attempts at a problem before a part of the lesson is left out.
const ATTEMPTS: u32 = 12;
/// Most words that are defined on one slide.
const MOST_WORDS: usize = 3;

/// What a lesson is asked to be.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct Wanted {
    /// The id of the skill that is taught.
    pub skill: String,
    /// The method that this class is taught; the usual one when absent.
    #[serde(default, deserialize_with = "skills::ids::method_if_any")]
    #[schema(value_type = Option<skills::ids::MethodName>)]
    pub method: Option<MethodId>,
    /// The school year; the middle one of the skill when absent.
    #[serde(default)]
    pub grade: Option<u8>,
    /// Its length in minutes.
    pub minutes: u16,
    /// Another seed, other numbers.
    pub seed: u64,
}

/// A lesson as it is offered.
#[derive(Debug, Clone, PartialEq)]
pub struct Offer {
    /// The lesson. Where its ladder stands, a [`Block::Ladder`] with the id 0 waits for the real one.
    pub lesson: Lesson,
    /// Its ladder, on the bench.
    pub ladder: Plan,
}

/// Makes problems of one lesson, none of them twice.
struct Maker {
    seed: u64,
    method: Option<MethodId>,
    used: Vec<String>,
}

impl Maker {
    /// A problem of a skill, with its draws.
    fn draw(&mut self, skill: &str, stage: Stage, index: usize) -> Option<(Drawn, Rung)> {
        let mut drawn = Drawn {
            skill: skill.to_owned(),
            stage,
            index,
            seed: self.seed,
            attempt: 0,
            method: self.method,
            replaced: Vec::new(),
            world: None,
        };
        for _ in 0..ATTEMPTS {
            if let Ok(Some(rung)) = drawn.rung()
                && !self.used.contains(&rung.prompt)
            {
                self.used.push(rung.prompt.clone());
                return Some((drawn, rung));
            }
            drawn = drawn.attempted(1);
        }
        None
    }

    fn practice(&mut self, skill: &str, stage: Stage, index: usize) -> Option<Block> {
        let (drawn, rung) = self.draw(skill, stage, index)?;
        let source = Source::Drawn(drawn);
        let source = Placed { key: 1, source, locked: false, wording: None, why: None };
        Some(Block::Practice(PracticeBlock { source: Box::new(source), rung: Box::new(rung) }))
    }

    /// A worked example of a skill.
    fn example(&mut self, skill: &str, stage: Stage, index: usize) -> Option<(Drawn, Example)> {
        let (drawn, _) = self.draw(skill, stage, index)?;
        let example = Example::of(&drawn).ok()?;
        Some((drawn, example))
    }
}

const fn worked(example: Box<Example>) -> Block {
    Block::WorkedExample(WorkedExampleBlock { example })
}

impl Wanted {
    /// The lesson from its starter to its exit ticket, with minutes, proved throughout.
    ///
    /// # Errors
    /// [`BadLesson`] when there is no such skill or method, or it cannot be kept as it is asked for.
    pub fn offer(&self) -> Result<Offer, BadLesson> {
        let skill = skills::find(&self.skill).ok_or_else(|| {
            BadLesson::because("There is no such skill. Choose one from the list.")
        })?;
        let card = skill.card();
        if let Some(method) = self.method
            && !card.methods.iter().any(|known| known.id == method)
        {
            return Err(BadLesson::because("This skill has no such method. Choose another one."));
        }
        let grade = self.grade.unwrap_or_else(|| card.grades.0.midpoint(card.grades.1));
        let mut maker = Maker { seed: self.seed, method: self.method, used: Vec::new() };
        let slides = self.slides(&card, &mut maker);
        let mut lesson = Lesson {
            version: LESSON_VERSION,
            title: card.title.to_owned(),
            grade,
            strand: card.strand,
            topic: card.title.to_owned(),
            minutes: self.minutes,
            objectives: vec![card.objective.to_owned()],
            sheet: self.sheet(&card),
            phases: phases(self.minutes).into_iter().map(|phase| told(phase, &card)).collect(),
            slides,
            theme: super::Theme::default(),
            meanings: Vec::new(),
            dismissed: Vec::new(),
        };
        share_minutes(&mut lesson);
        lesson.check()?;
        let ladder = self.ladder().map_err(|why| BadLesson(why.says))?;
        Ok(Offer { lesson, ladder })
    }

    fn sheet(&self, card: &Card) -> Sheet {
        let prior = needs(card.id).iter().filter_map(|id| {
            let need = skills::find(id)?.card();
            Some(Prior { text: need.objective.to_owned(), skill: Some((*id).to_owned()) })
        });
        let method = self.method.unwrap_or(card.methods[0].id);
        let way = card.methods.iter().find(|known| known.id == method);
        let mut criteria = vec![card.objective.to_owned()];
        criteria.extend(way.map(|way| format!("I can show it by this method: {}.", way.title)));
        if let Some(term) = card.vocabulary.first() {
            criteria.push(format!("I can say what “{}” means.", term.word));
        }
        criteria.push("I can find the line that breaks in somebody's working, and mend it.".into());
        Sheet {
            subject: "Mathematics".into(),
            skill: Some(card.id.to_owned()),
            method: Some(method),
            prior: prior.collect(),
            criteria,
            resources: vec![
                "The slides of this lesson".into(),
                "Its ladder in three strengths, printed, with the key".into(),
            ],
            homework: "The rungs of the ladder that are left over, with their working.".into(),
            ..Sheet::default()
        }
    }

    /// Twelve rungs that climb, to be set in three strengths.
    fn ladder(&self) -> Result<Plan, Refused> {
        let order = LadderOrder {
            skills: vec![self.skill.clone()],
            grip: 5,
            tilt: 4,
            climb: 3,
            // Other numbers than on the slides.
            seed: self.seed ^ 0x5eed,
            method: self.method,
            ..LadderOrder::default()
        };
        let plan = Plan::new(LadderOrder::default());
        let title = skills::find(&self.skill).map_or("", |skill| skill.card().title);
        Ok(Plan { title: title.to_owned(), ..change(&plan, &Change::Draw { order })? })
    }

    fn slides(&self, card: &Card, maker: &mut Maker) -> Vec<Slide> {
        let mut slides: Vec<Slide> = Vec::new();
        let mut add = |title: &str, phase, blocks: Vec<Block>, notes: &str| {
            if !blocks.is_empty() {
                let id = u32::try_from(slides.len()).unwrap_or(0) + 1;
                let notes = notes.to_owned();
                slides.push(Slide { notes, ..Slide::new(id, title, phase, blocks) });
            }
        };
        use PhaseKind::{GuidedPractice, IndependentPractice, Review, Starter, Teach};

        let (title, blocks) = starter(card, maker);
        add(&title, Starter, blocks, "Give a minute for each. Ask for the way before the answer.");
        let today = Block::Text(TextBlock { text: format!("Today: {}", card.title) });
        let can = Block::Text(TextBlock { text: card.objective.to_owned() });
        add(card.title, Teach, vec![today, can], "Read it together. Come back to it at the end.");
        add(
            "Words we need",
            Teach,
            words(card, maker),
            "Ask for an example of each in their own words.",
        );

        let first = maker.example(card.id, Stage::Grip, 0);
        let method = |example: &Example| {
            let known = example.methods.iter().find(|known| known.id == example.method);
            known.map_or_else(String::new, |known| known.title.clone())
        };
        if let Some((_, example)) = &first {
            let title = format!("Example 1: {}", method(example));
            let say = "Say each line before you show it, then its reason.";
            add(&title, Teach, vec![worked(Box::new(example.clone()))], say);
        }
        if let Some((_, example)) = maker.example(card.id, Stage::Grip, 2) {
            let title = format!("Example 2: {}", method(&example));
            let say = "Let them say the next line. What changed from the first example?";
            add(&title, Teach, vec![worked(Box::new(example))], say);
        }
        if let Some((example, title)) = first.as_ref().and_then(another_way) {
            let talk = Block::Talk(TalkBlock {
                prompt: "Which way do you like better here, and why?".into(),
                starters: vec!["I would use … because …".into(), "Both give … , since …".into()],
            });
            let say = "The same answer by another way. Leave it out when time is short.";
            add(&title, Teach, vec![worked(Box::new(example)), talk], say);
        }
        if let Some(example) = maker.example(card.id, Stage::Grip, 1).map(|(_, one)| with_gaps(one))
        {
            let say = "In pairs: fill the gaps, then compare.";
            add("Try together", GuidedPractice, vec![worked(Box::new(example))], say);
        }
        let (skill, check) = (card.id, check(maker, card.id));
        add(
            "Are we there?",
            GuidedPractice,
            check,
            "All vote at once. Ask two who differ to say why.",
        );

        let sheet = Block::Ladder(LadderBlock { ladder: 0, title: card.title.to_owned() });
        let how = "Begin on Grip. Go on to Tilt when three in a row are right, and try one rung of Climb.";
        let how = Block::Text(TextBlock { text: how.into() });
        let say = "Basic, middle and advanced sheets come from this one ladder.";
        add("Climb the ladder", IndependentPractice, vec![how, sheet], say);

        if let Some(example) =
            maker.example(skill, Stage::Grip, 3).and_then(|(_, one)| with_slip(one))
        {
            let say = "One line breaks. Which, and what should stand there?";
            add("Somebody's working", Review, vec![worked(Box::new(example))], say);
        }
        let look_back = Block::Talk(TalkBlock {
            prompt: format!("{} How sure are you?", card.objective),
            starters: vec![
                "Now I can …".into(),
                "I have to watch out for …".into(),
                "I still wonder …".into(),
            ],
        });
        add(
            "Look back",
            Review,
            vec![look_back],
            "Thumbs up, across or down. Note who needs another look.",
        );
        let ticket = [(Stage::Grip, 4), (Stage::Tilt, 1)];
        let ticket =
            ticket.into_iter().filter_map(|(stage, index)| maker.practice(skill, stage, index));
        add("Exit ticket", Review, ticket.collect(), "On paper, alone, handed in at the door.");
        slides
    }
}

/// What is recalled at the beginning: the nearest skill that this one builds on.
fn starter(card: &Card, maker: &mut Maker) -> (String, Vec<Block>) {
    let need = needs(card.id).first().copied().unwrap_or("number.of-the-day");
    let title = skills::find(need).map_or("", |skill| skill.card().title);
    // A method of this lesson's skill is none of another one.
    let method = maker.method.take();
    let blocks = (0..2).filter_map(|index| maker.practice(need, Stage::Grip, index)).collect();
    maker.method = method;
    (format!("Do you remember? {title}"), blocks)
}

/// The words of a card, the first with a picture of a problem of the skill.
fn words(card: &Card, maker: &Maker) -> Vec<Block> {
    let mut figure = picture(card.id, maker.seed);
    let word = |term: &teaching::skill::Term| {
        Block::Word(WordBlock {
            word: term.word.into(),
            means: term.means.into(),
            figure: figure.take(),
        })
    };
    card.vocabulary.iter().take(MOST_WORDS).map(word).collect()
}

/// A picture of the skill: of a problem, or of a working grown to its end.
fn picture(skill: &str, seed: u64) -> Option<Figure> {
    let card = skills::find(skill).map(Skill::card)?;
    card.methods.iter().find_map(|method| {
        let method = Some(method.id);
        let mut maker = Maker { seed: seed ^ 0xf19, method, used: Vec::new() };
        let (_, rung) = maker.draw(skill, Stage::Grip, 0)?;
        rung.figure.clone().or_else(|| rung.grown().cloned())
    })
}

/// The first example by the next method that fits it.
fn another_way((drawn, example): &(Drawn, Example)) -> Option<(Example, String)> {
    let other = example.methods.iter().find(|known| known.id != example.method)?;
    let drawn = Drawn { method: Some(other.id), ..drawn.clone() };
    let again = Example::of(&drawn).ok().filter(|again| again.method == other.id)?;
    Some((again, format!("Another way: {}", other.title)))
}

/// An example with what its last lines say left out.
fn with_gaps(example: Example) -> Example {
    let offers = example.offers();
    let lines = example.working.iter().enumerate().zip(&offers);
    let mut gaps: Vec<_> = lines
        .filter(|((_, line), _)| line.line.verdict != teaching::verdict::VerdictWord::Given)
        .filter_map(|((at, _), offer)| offer.parts.first().map(|part| (at, part.blank)))
        .collect();
    // The last two lines that have something to be filled in.
    let keep = gaps.len().saturating_sub(2);
    gaps.drain(..keep);
    gaps.into_iter().fold(example, |example, (line, blank)| {
        let out = ExampleChange::Leave { line, blank, out: true };
        example::change(&example, &out).unwrap_or(example)
    })
}

/// An example with the first slip that can be put into it.
fn with_slip(example: Example) -> Option<Example> {
    let offer = example.slips().ok()?.into_iter().next()?;
    example::change(&example, &ExampleChange::Slip { slip: Some(offer.slip) }).ok()
}

/// A question by choice, and a talk about it.
fn check(maker: &mut Maker, skill: &str) -> Vec<Block> {
    let found = [(Stage::Grip, 5), (Stage::Tilt, 0), (Stage::Grip, 6), (Stage::Tilt, 2)];
    let mut found = found.into_iter().filter_map(|(stage, at)| maker.draw(skill, stage, at));
    let Some((_, rung)) = found.find(|(_, rung)| rung.choices.len() > 1) else {
        return Vec::new();
    };
    let shown = |choice: &skills::ladder::Choice| {
        let is_math = !rung.answer.is_words();
        let math = || algebra::read_line(&choice.text).ok();
        let latex = math().filter(|_| is_math).map(|read| algebra::write::latex_line(&read.line));
        let text = latex.map_or_else(|| choice.text.clone(), |latex| format!("${latex}$"));
        Offered { text, right: choice.right }
    };
    let choices = rung.choices.iter().map(shown).collect();
    vec![
        Block::Question(QuestionBlock {
            prompt: rung.prompt.clone(),
            asks: Asks::Choice { choices },
        }),
        Block::Talk(TalkBlock {
            prompt: "Say why.".into(),
            starters: vec!["It must be … because …".into(), "It cannot be … because …".into()],
        }),
    ]
}

/// What happens in a phase, in words that can be changed.
fn told(phase: Phase, card: &Card) -> Phase {
    let title = card.title.to_lowercase();
    let (teacher, students) = match phase.kind {
        PhaseKind::Starter => (
            "Shows two problems to recall, listens, notes who needs help.".to_owned(),
            "Work on the two problems alone, then compare with a neighbour.".to_owned(),
        ),
        PhaseKind::Teach => (
            format!(
                "Defines the words and works two examples of {title}, line by line, with reasons."
            ),
            "Say the next line before it is shown, and why it follows.".to_owned(),
        ),
        PhaseKind::GuidedPractice => (
            "Gives the example with gaps, then a vote with reasons.".to_owned(),
            "Fill the gaps in pairs, vote, and say why.".to_owned(),
        ),
        PhaseKind::IndependentPractice => (
            "Hands out the ladder in three strengths, walks round, looks at lines.".to_owned(),
            "Climb the ladder, writing every line.".to_owned(),
        ),
        PhaseKind::Review => (
            "Shows a working with one slip, looks back at the objective, collects the exit ticket."
                .to_owned(),
            "Find the line that breaks, look back, write the exit ticket.".to_owned(),
        ),
    };
    Phase { teacher, students, ..phase }
}

/// Shares the minutes of each phase among its slides, the later ones getting what is left over.
fn share_minutes(lesson: &mut Lesson) {
    for phase in &lesson.phases {
        let mut of_phase: Vec<&mut Slide> =
            lesson.slides.iter_mut().filter(|slide| slide.phase == phase.kind).collect();
        let count = u16::try_from(of_phase.len()).unwrap_or(1).max(1);
        let (each, rest) = (phase.minutes / count, phase.minutes % count);
        for (at, slide) in (0..).zip(&mut of_phase) {
            slide.minutes = each + u16::from(at >= count - rest);
        }
    }
}

#[cfg(test)]
mod tests {
    use super::*;
    use skills::SKILLS;
    use teaching::verdict::VerdictWord;

    fn wanted(skill: &str, seed: u64) -> Wanted {
        Wanted { skill: skill.into(), method: None, grade: None, minutes: 45, seed }
    }

    #[test]
    fn every_skill_gives_a_whole_lesson_that_is_proved() {
        for card in SKILLS.iter().map(|skill| skill.card()) {
            let offer =
                wanted(card.id, 7).offer().unwrap_or_else(|why| panic!("{}: {}", card.id, why.0));
            let lesson = &offer.lesson;
            assert_eq!(lesson.minutes_over(), 0, "{}", card.id);
            let minutes: u16 = lesson.slides.iter().map(|slide| slide.minutes).sum();
            assert_eq!(minutes, 45, "{}", card.id);
            assert!(lesson.slides.len() >= 9, "{}: {} slides", card.id, lesson.slides.len());
            let checked = lesson.checked();
            assert!(checked.lines > 5 && checked.lines == checked.hold, "{}: {checked:?}", card.id);
            for kind in PhaseKind::ALL {
                assert!(
                    lesson.slides.iter().any(|slide| slide.phase == kind),
                    "{}: {kind:?}",
                    card.id
                );
            }
            assert_eq!(offer.ladder.rungs.len(), 12, "{}", card.id);
            assert_eq!(lesson.skill().as_deref(), Some(card.id), "its bench begins with it");
            assert_eq!(lesson.clone().proved(lesson).as_ref(), Ok(lesson), "{}", card.id);
        }
    }

    #[test]
    fn the_same_seed_offers_the_same_lesson_and_another_one_other_numbers() {
        let of = |seed| wanted("equations.linear", seed).offer().expect("offered").lesson;
        assert_eq!(of(3), of(3));
        assert_ne!(of(3).slides, of(4).slides);
    }

    #[test]
    fn the_class_is_taught_its_own_method() {
        let wanted = Wanted { method: Some(MethodId::new("bar")), ..wanted("percent.part", 1) };
        let lesson = wanted.offer().expect("offered").lesson;
        let examples: Vec<&Example> = lesson
            .slides
            .iter()
            .flat_map(|slide| &slide.blocks)
            .filter_map(|block| match block {
                Block::WorkedExample(WorkedExampleBlock { example }) => Some(&**example),
                _ => None,
            })
            .collect();
        assert_eq!(
            (examples[0].method, examples[1].method),
            (MethodId::new("bar"), MethodId::new("bar"))
        );
        assert_ne!(examples[2].method, MethodId::new("bar"));
        assert_eq!(lesson.sheet.method, Some(MethodId::new("bar")));
    }

    #[test]
    fn something_is_left_out_to_try_together_and_one_line_breaks_in_the_review() {
        let lesson = wanted("equations.linear", 2).offer().expect("offered").lesson;
        let titled = |title: &str| {
            let slide = lesson.slides.iter().find(|slide| slide.title == title).expect(title);
            match &slide.blocks[0] {
                Block::WorkedExample(WorkedExampleBlock { example }) => example.clone(),
                other => panic!("{other:?}"),
            }
        };
        assert!(titled("Try together").working.iter().any(|line| !line.blanks.is_empty()));
        let broken = titled("Somebody's working");
        let breaks = |line: &&example::ExampleLine| line.line.verdict == VerdictWord::Breaks;
        assert_eq!(broken.working.iter().filter(breaks).count(), 1);
    }

    #[test]
    fn what_cannot_be_offered_says_why() {
        assert!(wanted("juggling", 1).offer().is_err());
        let no_method =
            Wanted { method: Some(MethodId::new("balance")), ..wanted("percent.part", 1) };
        assert!(no_method.offer().is_err());
        let short = Wanted { minutes: 2, ..wanted("percent.part", 1) };
        assert!(short.offer().is_err());
    }
}
