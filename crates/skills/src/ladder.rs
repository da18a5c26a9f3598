//! A ladder: problems that climb three stages, each with its answer and working computed and proved.

mod choices;
mod drawn;
mod flawed;
mod grown;
mod kind;
mod numbers;
mod retold;
mod taught;

use crate::CATALOGUE_VERSION;
use crate::ids::Methods;
use algebra::form::Form;
use algebra::number::show;
use algebra::write::{latex, latex_line, text_line};
use algebra::{Line, Options, StepVerdict, compare_given, judge_alone, read_line_with};
pub(crate) use choices::written_like;
pub use drawn::{Drawn, Replaced};
pub use flawed::{FlawedLine, FlawedWorking};
pub use numbers::Numbers;
pub use retold::samples;
use serde::{Deserialize, Serialize};
use teaching::figure::Figure;
use teaching::ids::{MethodId, SlipId};
use teaching::problem::{Key, Posed};
use teaching::scenario::OwnScenario;
use teaching::skill::{Skill, Stage};
use teaching::stored;
use teaching::working::{Draft, Unproved, Working, WorkingLine};
use teaching::world::World;
use utoipa::ToSchema;

/// Most rungs that one ladder may have.
pub const MOST_RUNGS: usize = 200;
/// Seeds are below this, so that every program can hold them exactly.
pub const SEED_LIMIT: u64 = 1 << 53;

/// What to make a ladder of.
#[derive(Debug, Clone, Default, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct LadderOrder {
    /// Skill ids; their rungs take turns.
    pub skills: Vec<String>,
    /// Rungs on Grip.
    pub grip: usize,
    /// Rungs on Tilt.
    pub tilt: usize,
    /// Rungs on Climb.
    pub climb: usize,
    /// The seed; the same seed gives the same sheet.
    pub seed: u64,
    /// The method of the key, where a skill has it; otherwise its usual one.
    #[serde(default, deserialize_with = "crate::ids::method_if_any")]
    #[schema(value_type = Option<crate::ids::MethodName>)]
    pub method: Option<MethodId>,
    /// The method of each skill where `method` is absent: what the class is taught.
    #[serde(
        default,
        skip_serializing_if = "Methods::is_empty",
        deserialize_with = "crate::ids::methods"
    )]
    #[schema(value_type = std::collections::BTreeMap<String, crate::ids::MethodName>)]
    pub methods: Methods,
    /// What its numbers may be.
    #[serde(default)]
    pub numbers: Numbers,
    /// Where its stories come from, when it is not the bee garden.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub world: Option<OwnScenario>,
}

/// Problems that climb, with their key.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Ladder {
    /// The version of the catalogue it was drawn from.
    pub version: u32,
    /// The seed it was drawn with.
    pub seed: u64,
    /// The problems, in the order in which they climb.
    pub rungs: Vec<Rung>,
}

/// One problem of a ladder, as it was posed.
#[derive(Debug, Clone, PartialEq, Serialize, Deserialize, ToSchema)]
pub struct Rung {
    /// The id of its skill.
    pub skill: String,
    /// Which step of the ladder it stands on.
    pub stage: Stage,
    /// What the student reads, with mathematics between dollar signs.
    pub prompt: String,
    /// Its picture.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub figure: Option<Figure>,
    /// The proved answer.
    pub answer: Answer,
    /// For multiple choice: one right, the others from slips first.
    #[serde(default, skip_serializing_if = "Vec::is_empty")]
    pub choices: Vec<Choice>,
    /// The full working, each line proved.
    pub working: Vec<WorkingLine>,
    /// The id of the method of the working.
    #[serde(deserialize_with = "crate::ids::method")]
    #[schema(value_type = crate::ids::MethodName)]
    pub method: MethodId,
    /// The equation behind the problem, as plain mathematics.
    pub line: String,
    /// The letter that is asked for.
    pub unknown: String,
    /// What is assumed of the letters, as it could be typed.
    #[serde(default, skip_serializing_if = "Vec::is_empty")]
    pub given: Vec<String>,
    /// Whether the student has to set up the equation.
    pub story: bool,
    /// Somebody's working, when the line that breaks in it is asked for.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub flawed: Option<FlawedWorking>,
    /// The quantities behind it and what holds between them, where it is more than its line.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub world: Option<World>,
}

impl Answer {
    /// Whether it is told in words, not in mathematics.
    #[must_use]
    pub const fn is_words(&self) -> bool {
        self.latex.is_none()
    }

    /// It as mathematics; none where it is told in words.
    #[must_use]
    pub fn read(&self) -> Option<Line> {
        Some(read_line_with(self.latex.as_deref()?, Options::WRITTEN_LATEX).ok()?.line)
    }
}

impl Rung {
    /// The picture of its working, grown to its end.
    #[must_use]
    pub fn grown(&self) -> Option<&Figure> {
        self.working.iter().rev().find_map(|line| line.figure.as_ref())
    }

    /// Whether it is the same problem as another.
    #[must_use]
    pub fn is_same(&self, other: &Self) -> bool {
        self.prompt == other.prompt || (self.line == other.line && !self.line.is_empty())
    }
}

/// An answer with the form it must have.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct Answer {
    /// In words and plain mathematics, as it stands in the key.
    pub text: String,
    /// For typesetting; none for an answer in words.
    #[serde(with = "stored::latex")]
    #[schema(value_type = String)]
    pub latex: Option<String>,
    /// The exact value, or the words.
    pub value: String,
    /// The form it must have.
    #[serde(with = "stored::form")]
    #[schema(value_type = stored::FormName)]
    pub form: Form,
    /// The unit, where there is one.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub unit: Option<String>,
}

/// One choice of a multiple-choice version.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct Choice {
    /// As it is shown.
    pub text: String,
    /// Whether it is the answer.
    pub right: bool,
    /// The slip that leads to it, when one does.
    #[serde(
        default,
        skip_serializing_if = "Option::is_none",
        deserialize_with = "crate::ids::slip_if_any"
    )]
    #[schema(value_type = Option<crate::ids::SlipName>)]
    pub slip: Option<SlipId>,
}

/// Why a ladder cannot be made.
#[derive(Debug, Clone, PartialEq, Eq)]
pub enum NoLadder {
    /// There is no skill of that name.
    UnknownSkill(String),
    /// No skill of the order has that method.
    UnknownMethod(MethodId),
    /// No skill was named, or no rung asked for.
    Empty,
    /// More rungs than one ladder may have.
    TooManyRungs,
    /// The seed is too large.
    SeedTooLarge,
    /// A rung stands where no ladder has one.
    NoSuchPlace,
    /// No stories can be told of its scenario: why.
    BadScenario(String),
    /// So many different problems of that skill and stage are not to be had.
    RanOut(String),
    /// They are not to be had with such numbers.
    NoSuchNumbers(String),
}

impl NoLadder {
    /// What to do about it, in one sentence.
    #[must_use]
    pub fn says(&self) -> String {
        match self {
            Self::UnknownSkill(id) => format!("There is no skill called “{id}”."),
            Self::UnknownMethod(id) => format!("None of these skills has a method called “{id}”."),
            Self::Empty => "Choose at least one skill and one rung.".into(),
            Self::TooManyRungs => format!("A ladder can have at most {MOST_RUNGS} rungs."),
            Self::SeedTooLarge => "The seed is too large: use a number below 2^53.".into(),
            Self::NoSuchPlace => "This rung is no rung of a ladder. Draw it again.".into(),
            Self::BadScenario(says) => says.clone(),
            Self::NoSuchNumbers(id) => {
                format!(
                    "There are not so many problems of “{id}” with such numbers. Allow more numbers, or ask for fewer rungs."
                )
            }
            Self::RanOut(id) => {
                format!("There are not so many different problems of “{id}”. Ask for fewer rungs.")
            }
        }
    }
}

/// Why a problem may not leave the generator.
#[derive(Debug, Clone, PartialEq, Eq)]
pub enum NotProved {
    /// The equation behind the problem has other solutions than the answer.
    AnswerDoesNotFollow,
    /// The method does not fit the problem.
    NoWorking,
    /// A line of the working does not hold.
    Line(Unproved),
    /// Its world does not hold, or asks for something else: what is wrong with it.
    World(String),
    /// The working ends somewhere else than at the answer.
    EndsElsewhere,
    /// Fewer than three wrong choices could be made.
    TooFewChoices,
}

/// Proves a posed problem and makes a rung of it: its answer is the only solution of its equation, the
/// working by `method` ends there with every line holding in its role, and every wrong choice is wrong.
///
/// # Errors
/// What could not be proved; such a problem is never given out.
pub fn prove(
    skill: &dyn Skill,
    stage: Stage,
    posed: &Posed,
    method: MethodId,
) -> Result<Rung, NotProved> {
    if !follows(posed) {
        return Err(NotProved::AnswerDoesNotFollow);
    }
    if let Some(wrong) = posed.world.as_ref().and_then(|world| unsound(world, posed)) {
        return Err(NotProved::World(wrong));
    }
    let working = skill.working(posed, method).ok_or(NotProved::NoWorking)?;
    let mut lines = working.verified_in(&posed.setting()).map_err(NotProved::Line)?;
    if !ends_there(posed, &working) {
        return Err(NotProved::EndsElsewhere);
    }
    let figure = skill.figure(posed);
    grown::picture(
        &grown::Told { skill, posed, method, working: &working },
        figure.as_ref(),
        &mut lines,
    );
    let mut rung = Rung {
        skill: skill.card().id.into(),
        stage,
        prompt: posed.prompt.clone(),
        figure,
        answer: answer(posed),
        choices: choices::of(skill, posed, &working.0)?,
        working: lines,
        method,
        line: if is_shown(posed) { String::new() } else { text_line(&posed.line) },
        unknown: posed.unknown.clone(),
        given: posed.given.clone(),
        story: posed.story.is_some() && matches!(posed.key, Key::Line(_)),
        flawed: None,
        world: posed.world.clone(),
    };
    if posed.flawed.is_none() {
        taught::tell(&mut rung, method == skill.card().methods[0].id);
    }
    if let Some(own) = &posed.flawed {
        rung.flawed = Some(flawed::of(skill, own, &rung));
        rung.prompt = format!("{} {}", rung.prompt, flawed::ASKED);
        flawed::key(skill, &mut rung);
    }
    Ok(rung)
}

/// What is wrong with the world of a problem.
fn unsound(world: &World, posed: &Posed) -> Option<String> {
    let asked = world.asked_for().and_then(|asked| asked.number());
    let is_other = asked.zip(posed.answer()).is_some_and(|(asked, answer)| asked != answer);
    world.unsound().or_else(|| is_other.then(|| "It asks for another value.".into()))
}

fn is_shown(posed: &Posed) -> bool {
    matches!(posed.key, Key::Shown { .. })
}

fn is_true(claim: &Line) -> bool {
    matches!(judge_alone(claim), StepVerdict::Equivalent { .. })
}

/// Whether the answer follows from the problem, and has the form asked for.
fn follows(posed: &Posed) -> bool {
    match &posed.key {
        Key::Line(answer) => {
            let verdict = compare_given(&posed.line, answer, &posed.setting());
            matches!(verdict, StepVerdict::Equivalent { .. }) && posed.form.fits(answer)
        }
        Key::Truth(truth) => match judge_alone(&posed.line) {
            StepVerdict::Equivalent { .. } => *truth,
            StepVerdict::NotEquivalent(_) => !truth,
            _ => false,
        },
        Key::Shown { because, .. } => !because.is_empty() && because.iter().all(is_true),
    }
}

/// Whether the working ends at the answer: in mathematics, or in a sentence that says it.
fn ends_there(posed: &Posed, working: &Working) -> bool {
    // Words alone show nothing: a calculation stands before them.
    let shows = working.0.iter().any(|draft| matches!(draft, Draft::Line { .. }));
    let said = |text: &str| match working.0.last() {
        Some(Draft::Words { sentence, .. }) => shows && sentence.contains(text),
        _ => false,
    };
    match &posed.key {
        Key::Line(answer) => working.last_line().is_some_and(|last| {
            let verdict = compare_given(answer, last, &posed.setting());
            matches!(verdict, StepVerdict::Equivalent { .. })
        }),
        Key::Truth(truth) => said(truth_word(*truth)),
        Key::Shown { text, .. } => said(text),
    }
}

fn truth_word(truth: bool) -> &'static str {
    if truth { "true" } else { "false" }
}

fn answer(posed: &Posed) -> Answer {
    let (shown, value) = match &posed.key {
        Key::Line(line) => {
            let line = match (line.as_equation(), posed.answer()) {
                (Some((name, _)), Some(value))
                    if posed.form == Form::SolvedFor(posed.unknown.clone()) =>
                {
                    Line::equation(name.clone(), written_like(posed, &value))
                }
                _ => line.clone(),
            };
            let value = posed.answer().map_or_else(|| text_line(&line), |value| show(&value));
            ((text_line(&line), Some(latex_line(&line))), value)
        }
        Key::Truth(truth) => {
            let word = truth_word(*truth).to_owned();
            ((word.clone(), None), word)
        }
        Key::Shown { text, .. } => ((text.clone(), None), text.clone()),
    };
    let mut answer = Answer {
        text: shown.0,
        latex: shown.1,
        value,
        form: posed.form.clone(),
        unit: posed.unit.clone(),
    };
    if let Some(story) = &posed.story {
        answer.text.clone_from(&story.sentence);
        if let Some(value) = posed.answer() {
            answer.latex = Some(latex(&written_like(posed, &value)));
        }
        answer.unit = Some(story.unit.clone()).filter(|unit| !unit.is_empty());
    }
    answer
}

impl Ladder {
    /// The ids of its skills, each once, in the order of its rungs.
    #[must_use]
    pub fn skills(&self) -> Vec<&str> {
        let mut found: Vec<&str> = Vec::new();
        for rung in &self.rungs {
            if !found.contains(&rung.skill.as_str()) {
                found.push(&rung.skill);
            }
        }
        found
    }

    /// Makes a ladder: Grip first, then Tilt, then Climb; skills take turns; no problem twice.
    ///
    /// # Errors
    /// [`NoLadder`] says what is wrong with the order.
    pub fn make(order: &LadderOrder) -> Result<Self, NoLadder> {
        checked(order)?;
        let mut rungs: Vec<Rung> = Vec::new();
        for (stage, count) in Stage::ALL.into_iter().zip([order.grip, order.tilt, order.climb]) {
            for at in 0..count {
                let from = Drawn::of(order, stage, at);
                rungs.push(from.fitting(0, rungs.iter(), order.numbers)?.1);
            }
        }
        Ok(Self { version: CATALOGUE_VERSION, seed: order.seed, rungs })
    }
}

/// Whether an order can be made.
///
/// # Errors
/// [`NoLadder`] says what is wrong with it.
pub fn checked(order: &LadderOrder) -> Result<(), NoLadder> {
    let skills: Vec<&'static dyn Skill> = order
        .skills
        .iter()
        .map(|id| crate::find(id).ok_or_else(|| NoLadder::UnknownSkill(id.clone())))
        .collect::<Result<_, _>>()?;
    let counts = [order.grip, order.tilt, order.climb];
    let all = counts.iter().try_fold(0usize, |sum, &n| sum.checked_add(n));
    match all {
        _ if skills.is_empty() => return Err(NoLadder::Empty),
        Some(0) => return Err(NoLadder::Empty),
        Some(n) if n <= MOST_RUNGS => {}
        _ => return Err(NoLadder::TooManyRungs),
    }
    if order.seed >= SEED_LIMIT {
        return Err(NoLadder::SeedTooLarge);
    }
    if let Some(method) = order.method {
        let has = |skill: &&'static dyn Skill| skill.card().methods.iter().any(|m| m.id == method);
        if !skills.iter().any(has) {
            return Err(NoLadder::UnknownMethod(method));
        }
    }
    Ok(())
}

#[cfg(test)]
mod tests {
    use super::*;
    use std::collections::HashSet;
    use teaching::draw::Draw;

    fn order(seed: u64) -> LadderOrder {
        let skills = ["ratio.missing-term", "equations.linear"].map(str::to_owned).to_vec();
        LadderOrder {
            skills,
            grip: 3,
            tilt: 3,
            climb: 3,
            seed,
            method: None,
            ..LadderOrder::default()
        }
    }

    #[test]
    fn a_ladder_climbs_without_repeating_itself() {
        for seed in 0..60 {
            let ladder =
                Ladder::make(&LadderOrder { grip: 10, tilt: 10, climb: 10, ..order(seed) })
                    .expect("made");
            let stages: Vec<_> = ladder.rungs.iter().map(|rung| rung.stage).collect();
            assert!(stages.is_sorted());
            let prompts: HashSet<_> = ladder.rungs.iter().map(|rung| &rung.prompt).collect();
            assert_eq!(prompts.len(), 30, "seed {seed}");
        }
    }

    #[test]
    fn the_same_seed_gives_the_same_sheet() {
        let make = |seed| serde_json::to_string_pretty(&Ladder::make(&order(seed)).expect("made"));
        assert_eq!(make(3).expect("json"), make(3).expect("json"));
        assert_ne!(make(3).expect("json"), make(4).expect("json"));
        let golden = include_str!("../tests/golden/ladder-7.json");
        let found = make(7).expect("json");
        if std::env::var_os("HONEY_LADDER_BLESS").is_some() {
            let path = concat!(env!("CARGO_MANIFEST_DIR"), "/tests/golden/ladder-7.json");
            std::fs::write(path, &found).expect("the golden file can be written");
            return;
        }
        assert_eq!(found, golden, "the catalogue changed: raise its version and bless the file");
    }

    #[test]
    #[rustfmt::skip]
    fn what_cannot_be_made_says_why() {
        let say = |order: LadderOrder| Ladder::make(&order).expect_err("not to be made").says();
        assert_eq!(say(LadderOrder { skills: vec!["nothing".into()], ..order(1) }), "There is no skill called “nothing”.");
        assert_eq!(say(LadderOrder { grip: 0, tilt: 0, climb: 0, ..order(1) }), "Choose at least one skill and one rung.");
        assert_eq!(say(LadderOrder { grip: usize::MAX, ..order(1) }), "A ladder can have at most 200 rungs.");
        assert_eq!(say(LadderOrder { seed: 1 << 60, ..order(1) }), "The seed is too large: use a number below 2^53.");
        assert!(say(LadderOrder { method: Some(MethodId::new("magic")), ..order(1) }).contains("magic"));
    }

    #[test]
    fn a_problem_with_a_wrong_answer_is_never_given_out() {
        let skill = crate::find("equations.linear").expect("it is there");
        let mut posed = skill.pose(Stage::Grip, 1, &mut Draw::new(5, "wrong"));
        posed.key = Key::Line(teaching::typeset::line("x = 1000"));
        assert_eq!(
            prove(skill, Stage::Grip, &posed, skill.card().methods[0].id),
            Err(NotProved::AnswerDoesNotFollow)
        );
    }
}
