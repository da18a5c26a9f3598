//! The lessons of the demo world. Their workings are computed and proved like any other.

use lesson::Lesson;
use lesson::bench::{Change, Plan, change};
use lesson::blocks::{LadderBlock, QuestionBlock, TextBlock, WorkedExampleBlock};
use lesson::example::Example as Worked;
use lesson::{Asks, Block, Offer, PhaseKind, Slide, Wanted};
use skills::ids::method_named;
use skills::ladder::LadderOrder;
use teaching::ids::MethodId;
use teaching::skill::Strand;

/// A lesson with the ladder that hangs on it.
pub struct DemoLesson {
    /// The lesson.
    pub lesson: Lesson,
    /// Its ladder, with its title.
    pub ladder: Option<(String, Plan)>,
    /// Whether the class has written on its Step Desks.
    pub is_worked: bool,
}

/// A slide in the making: phase, minutes, heading, notes, blocks.
type Sketch = (PhaseKind, u16, &'static str, &'static str, Vec<Part>);

enum Part {
    Text(&'static str),
    Example(&'static str, Option<&'static str>),
    /// A question with its answer.
    Ask(&'static str, &'static str),
    /// The ladder of the lesson, by its title.
    Ladder(&'static str),
}

use Part::{Ask, Example, Ladder, Text};
use PhaseKind::{GuidedPractice, IndependentPractice, Review, Starter, Teach};

/// Every demo lesson.
///
/// # Errors
/// A sentence about the first one that is wrong.
pub fn all() -> Result<Vec<DemoLesson>, String> {
    let mut all = vec![scaling_the_feed()?, missing_terms()?, balance()?, both_sides()?];
    for (skill, method, grade, minutes, seed) in OFFERED {
        all.push(offered(skill, *method, *grade, *minutes, *seed)?);
    }
    Ok(all)
}

/// Lessons as they are offered from a topic: skill, method, grade, minutes, seed.
const OFFERED: &[(&str, Option<&str>, u8, u16, u64)] = &[
    ("place-value.regroup", None, 2, 40, 21),
    ("fractions.equivalent", Some("strips"), 4, 45, 5),
    ("percent.part", Some("bar"), 7, 45, 8),
    ("pythagoras", None, 9, 50, 3),
    ("exponential.half-life", None, 11, 60, 14),
];

/// The method of that id; a misspelt one is no method.
fn known(id: Option<&str>) -> Result<Option<MethodId>, String> {
    let found = |id| method_named(id).ok_or_else(|| format!("there is no method “{id}”"));
    id.map(found).transpose()
}

fn offered(
    skill: &str,
    method: Option<&str>,
    grade: u8,
    minutes: u16,
    seed: u64,
) -> Result<DemoLesson, String> {
    let method = known(method)?;
    let wanted = Wanted { skill: skill.to_owned(), method, grade: Some(grade), minutes, seed };
    let Offer { lesson, ladder } = wanted.offer().map_err(|why| format!("{skill}: {}", why.0))?;
    Ok(DemoLesson { lesson, ladder: Some((ladder.title.clone(), ladder)), is_worked: false })
}

fn lesson(
    topic: &str,
    grade: u8,
    strand: Strand,
    objectives: &[&str],
    sketches: Vec<Sketch>,
) -> Result<Lesson, String> {
    let minutes = sketches.iter().map(|sketch| sketch.1).sum();
    let mut lesson = Lesson::new(topic, grade, strand, minutes).map_err(|why| why.0)?;
    lesson.objectives = objectives.iter().map(|&text| text.to_owned()).collect();
    for phase in &mut lesson.phases {
        phase.minutes = sketches.iter().filter(|s| s.0 == phase.kind).map(|s| s.1).sum();
    }
    lesson.slides = sketches
        .into_iter()
        .zip(1..)
        .map(|((phase, minutes, title, notes, parts), id)| {
            let blocks = parts.into_iter().map(block).collect::<Result<_, String>>()?;
            let notes = notes.to_owned();
            Ok(Slide { minutes, notes, ..Slide::new(id, title, phase, blocks) })
        })
        .collect::<Result<_, String>>()?;
    lesson.check().map_err(|why| why.0)?;
    Ok(lesson)
}

fn block(part: Part) -> Result<Block, String> {
    Ok(match part {
        Text(text) => Block::Text(TextBlock { text: text.to_owned() }),
        Ask(prompt, answer) => Block::Question(QuestionBlock {
            prompt: prompt.to_owned(),
            asks: Asks::Open { answer: answer.to_owned() },
        }),
        // Its id is known when it is hung.
        Ladder(title) => Block::Ladder(LadderBlock { ladder: 0, title: title.to_owned() }),
        Example(problem, method) => {
            let example = Worked::typed(problem, known(method)?)
                .map_err(|why| format!("{problem}: {}", why.says))?;
            Block::WorkedExample(WorkedExampleBlock { example: Box::new(example) })
        }
    })
}

fn ladder(title: &str, skills: &[&str], seed: u64) -> Result<Option<(String, Plan)>, String> {
    let skills = skills.iter().map(|&id| id.to_owned()).collect();
    let order = LadderOrder {
        skills,
        grip: 3,
        tilt: 3,
        climb: 3,
        seed,
        method: None,
        ..LadderOrder::default()
    };
    let drawn = change(&Plan::new(order.clone()), &Change::Draw { order });
    Ok(Some((title.to_owned(), drawn.map_err(|refused| refused.says)?)))
}

fn scaling_the_feed() -> Result<DemoLesson, String> {
    let lesson = lesson(
        "Scaling the autumn feed",
        5,
        Strand::FractionsRatio,
        &["I can find the missing number when two amounts grow together."],
        vec![
            (
                Starter,
                5,
                "What goes together?",
                "Two minutes in pairs, then hands up.",
                vec![
                    Text("The bee club stirs 3 kg of sugar into every 2 litres of water."),
                    Text("What else would taste just the same? Find three mixes."),
                ],
            ),
            (
                Teach,
                15,
                "Multiply both by the same number",
                "Say the factor aloud each time.",
                vec![Example("3:2 = n:10", Some("scale-factor"))],
            ),
            (
                GuidedPractice,
                10,
                "Try together",
                "Cover the last line.",
                vec![Example("3:2 = 12:n", Some("scale-factor"))],
            ),
            (
                Review,
                5,
                "Look again",
                "",
                vec![Ask(
                    "Both amounts are multiplied by the same number. Why not add the same number?",
                    "Adding the same to both makes another ratio: the mix would taste different.",
                )],
            ),
        ],
    )?;
    Ok(DemoLesson { lesson, ladder: None, is_worked: false })
}

fn missing_terms() -> Result<DemoLesson, String> {
    let lesson = lesson(
        "Proportions with a missing term",
        6,
        Strand::FractionsRatio,
        &[
            "I can find the missing term of a proportion.",
            "I can say which two numbers belong together, and why.",
        ],
        vec![
            (
                Starter,
                5,
                "Same taste or not?",
                "Let them argue before you tell.",
                vec![
                    Text(
                        "Leo mixes 2 cups of honey with 3 cups of oats. Freya mixes 6 cups with 8 cups.",
                    ),
                    Text("Do the two bars taste the same? Say why."),
                ],
            ),
            (
                Teach,
                8,
                "Cross-multiply and divide",
                "Point at the diagonals before line 2.",
                vec![Example("n/6 = 10/15", None)],
            ),
            (
                Teach,
                7,
                "The unknown below",
                "Same method: only the place of n has changed.",
                vec![Example("8/n = 2/3", None)],
            ),
            (
                GuidedPractice,
                10,
                "Try together: jars on the stall",
                "Ask for the units first.",
                vec![
                    Text("4 jars of clover honey cost 30 dollars. What do 10 jars cost?"),
                    Example("4/30 = 10/n", None),
                ],
            ),
            (
                IndependentPractice,
                12,
                "Climb the ladder",
                "Sheet or Step Desk.",
                vec![
                    Text("Start at Grip. Go up when three in a row hold."),
                    Ladder("Missing terms: from Grip to Climb"),
                ],
            ),
            (
                Review,
                3,
                "Exit ticket",
                "",
                vec![Ask(
                    "Find $n$ if $n : 9 = 4 : 6$. Write one line, and why it follows.",
                    "$n = 6$",
                )],
            ),
        ],
    )?;
    let skills = ["ratio.missing-term", "equations.linear"];
    let ladder = ladder("Missing terms: from Grip to Climb", &skills, 11)?;
    Ok(DemoLesson { lesson, ladder, is_worked: true })
}

fn balance() -> Result<DemoLesson, String> {
    let lesson = lesson(
        "Equations in balance",
        7,
        Strand::Algebra,
        &["I can solve an equation by doing the same to both sides."],
        vec![
            (
                Starter,
                5,
                "What does one frame weigh?",
                "Pictures of the hive scale help.",
                vec![Text(
                    "An empty hive box weighs 9 kg. With 6 frames of honey in it the scale shows 27 kg.",
                )],
            ),
            (Teach, 10, "Two steps", "", vec![Example("6n + 9 = 27", Some("balance"))]),
            (
                Teach,
                10,
                "The same, undone in reverse",
                "For those who like to see it backwards.",
                vec![Example("6n + 9 = 27", Some("undo"))],
            ),
            (GuidedPractice, 10, "Try together", "", vec![Example("3(2x - 5) = 27", None)]),
            (
                Review,
                5,
                "Look again",
                "",
                vec![Ask(
                    "Why may we subtract 9 from both sides, but not from one side alone?",
                    "Both sides weigh the same; they still do when the same is taken from each.",
                )],
            ),
        ],
    )?;
    let ladder = ladder("Equations in balance", &["equations.linear"], 4)?;
    Ok(DemoLesson { lesson, ladder, is_worked: true })
}

fn both_sides() -> Result<DemoLesson, String> {
    let lesson = lesson(
        "The unknown on both sides",
        8,
        Strand::Algebra,
        &["I can collect the unknown on one side.", "I can set up an equation from a story."],
        vec![
            (
                Starter,
                5,
                "Who catches up?",
                "",
                vec![Text(
                    "Imani has 8 beeswax candles ready and makes 5 more each day. Rui has 20 ready and \
                      makes 3 more each day. When do they have equally many?",
                )],
            ),
            (
                Teach,
                15,
                "Collect the unknown",
                "Ask which side to empty, and why.",
                vec![Example("5n + 8 = 3n + 20", None)],
            ),
            (GuidedPractice, 15, "Brackets first", "", vec![Example("4(x - 3) = 2x + 6", None)]),
            (
                Review,
                5,
                "Look again",
                "",
                vec![Ask(
                    "Put your answer back into the story. Does it fit both people?",
                    "After 6 days Imani has 38 candles, and so has Rui.",
                )],
            ),
        ],
    )?;
    Ok(DemoLesson { lesson, ladder: None, is_worked: false })
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn every_demo_lesson_is_whole() {
        let all = all().expect("every working is proved");
        assert!(all.len() >= 9);
        let grades: Vec<u8> = all.iter().map(|demo| demo.lesson.grade).collect();
        assert!(grades.contains(&2) && grades.contains(&11), "{grades:?}");
        for demo in &all {
            let lesson = &demo.lesson;
            assert_eq!(lesson.minutes_over(), 0, "{}", lesson.title);
            assert!(lesson.checked().lines > 0, "{}", lesson.title);
            assert_eq!(lesson.checked().lines, lesson.checked().hold, "{}", lesson.title);
            let found = second_look::second_look(lesson).open;
            assert_eq!(found, [], "{}", lesson.title);
        }
    }
}
