//! What a teacher sees of a live lesson, and what stands on its wall.

use drawing::Scene;
use live::taught::{
    Answered, ClassQuestionView, Given, Group, LessonPlace, Now, Offering, Pace, Question, Seated,
    ShownAnswer, Stuck, Tells, groups, offerings,
};
use serde::Serialize;
use store::live::LiveLesson;
use store::{ClassId, LessonId, LiveId};
use utoipa::ToSchema;

/// A live lesson in a list.
#[derive(Serialize, ToSchema)]
pub(crate) struct LiveEntry {
    id: LiveId,
    class: ClassId,
    #[serde(skip_serializing_if = "Option::is_none")]
    lesson: Option<LessonId>,
    title: String,
    /// Opens it to students, until it has ended.
    #[serde(skip_serializing_if = "Option::is_none")]
    code: Option<String>,
    /// When it began, in milliseconds of Unix time.
    began: i64,
    #[serde(skip_serializing_if = "Option::is_none")]
    ended: Option<i64>,
}

impl From<LiveLesson> for LiveEntry {
    fn from(one: LiveLesson) -> Self {
        let LiveLesson { id, class, lesson, title, code, began, ended, .. } = one;
        Self { id, class, lesson, title, code, began, ended }
    }
}

/// A student in a live lesson, as the teacher sees them.
#[derive(Serialize, ToSchema)]
struct LiveStudent {
    id: u64,
    name: String,
    #[serde(skip_serializing_if = "String::is_empty")]
    partner: String,
    /// Since when a hand is up, in milliseconds of Unix time.
    #[serde(skip_serializing_if = "Option::is_none")]
    hand: Option<i64>,
    place: LessonPlace,
    /// How often they answered the question that was asked last.
    tries: u16,
    /// Whether their answer to it is right; absent without an answer, or where it cannot be told.
    #[serde(skip_serializing_if = "Option::is_none")]
    right: Option<bool>,
    /// Why they may need help.
    #[serde(skip_serializing_if = "Option::is_none")]
    stuck: Option<Stuck>,
    /// How many questions they answered.
    answered: usize,
    /// How many of them are right.
    were_right: usize,
    /// When they did something last, in milliseconds of Unix time.
    last: i64,
}

/// A question as the teacher sees it.
#[derive(Serialize, ToSchema)]
struct LiveQuestion {
    number: u32,
    asked: ClassQuestionView,
    #[serde(skip_serializing_if = "Option::is_none")]
    scene: Option<Scene>,
    /// What is right, in words; empty where nothing is.
    right: String,
    tells: Tells,
    tries: u8,
    closed: bool,
    told: bool,
    /// How many have answered.
    answered: usize,
    /// What they answered, put together by what it means.
    groups: Vec<Group>,
    /// Drawings, each with who drew it.
    drawings: Vec<LiveDrawing>,
}

/// What a student drew.
#[derive(Serialize, ToSchema)]
struct LiveDrawing {
    student: u64,
    strokes: Vec<Vec<i16>>,
}

/// A question in the list of those that were asked.
#[derive(Serialize, ToSchema)]
struct LiveQuestionEntry {
    number: u32,
    prompt: String,
    answered: usize,
}

/// What a student wonders.
#[derive(Serialize, ToSchema)]
struct LiveWonder {
    id: u64,
    text: String,
}

/// A live lesson as its teacher sees it.
#[derive(Serialize, ToSchema)]
pub(crate) struct LiveView {
    live: LiveEntry,
    seq: u64,
    /// The time by the clock of the server, in milliseconds of Unix time.
    now: i64,
    place: LessonPlace,
    pace: Pace,
    paused: bool,
    slides: usize,
    students: Vec<LiveStudent>,
    #[serde(skip_serializing_if = "Option::is_none")]
    question: Option<LiveQuestion>,
    questions: Vec<LiveQuestionEntry>,
    wonders: Vec<LiveWonder>,
    /// What stands on the wall beside the slide.
    wall: LiveWall,
    /// What the slide on the wall offers to be asked.
    offers: Vec<Offering>,
}

/// An answer that stands on the wall, without a name.
#[derive(Serialize, ToSchema)]
pub(crate) struct WallAnswer {
    /// Its lines, typeset, or its text.
    lines: Vec<WallLine>,
    /// How many lines there are.
    of: usize,
    /// Strokes, where it is a drawing.
    #[serde(skip_serializing_if = "Vec::is_empty")]
    strokes: Vec<Vec<i16>>,
}

/// A line on the wall.
#[derive(Serialize, ToSchema)]
pub(crate) struct WallLine {
    /// For typesetting; empty for words.
    latex: String,
    text: String,
}

/// A share of the answers.
#[derive(Serialize, ToSchema)]
pub(crate) struct WallShare {
    ends: String,
    #[serde(skip_serializing_if = "String::is_empty")]
    latex: String,
    count: usize,
    /// Whether it is right; absent until that is told.
    #[serde(skip_serializing_if = "Option::is_none")]
    right: Option<bool>,
}

/// What stands on the wall of a live lesson, for everybody to see.
#[derive(Serialize, ToSchema)]
pub(crate) struct LiveWall {
    seq: u64,
    /// Opens it to students, until it has ended.
    #[serde(skip_serializing_if = "Option::is_none")]
    code: Option<String>,
    place: LessonPlace,
    paused: bool,
    ended: bool,
    /// How many are in.
    joined: usize,
    /// How many hands are up.
    hands: usize,
    /// The question that is open, or was told, in words; with its number.
    #[serde(skip_serializing_if = "Option::is_none")]
    question: Option<u32>,
    #[serde(skip_serializing_if = "String::is_empty")]
    prompt: String,
    /// Whether it takes answers.
    open: bool,
    answered: usize,
    /// What is right, once it was told.
    #[serde(skip_serializing_if = "Option::is_none")]
    right: Option<String>,
    answers: Vec<WallAnswer>,
    /// How many ended in what.
    shares: Vec<WallShare>,
    /// What somebody wonders.
    #[serde(skip_serializing_if = "Option::is_none")]
    wonder: Option<String>,
}

fn unknown(question: &Question) -> Option<String> {
    Some(question.asked.view().unknown).filter(|unknown| !unknown.is_empty())
}

fn grouped(now: &Now, number: u32, question: &Question) -> Vec<Group> {
    let marks = now.students.iter().filter_map(|(student, seat)| {
        seat.answers.get(&number).map(|answered| (*student, &answered.mark))
    });
    groups(marks, unknown(question).as_deref())
}

/// What stands on the wall.
pub(crate) fn wall(now: &Now, code: Option<String>) -> LiveWall {
    let question = now.question();
    let answer = |shown: &ShownAnswer, lines: u16| {
        let given = now.students.get(&shown.student)?.answers.get(&shown.question)?;
        Some(on_wall(given, lines))
    };
    let answers = now.on_wall.iter().zip([now.lines, 0]);
    let shares = now.shares.and_then(|number| Some((number, now.questions.get(&number)?)));
    let share = |told: bool| {
        move |group: Group| WallShare {
            count: group.students.len(),
            right: group.right.filter(|_| told),
            ends: group.ends,
            latex: group.latex,
        }
    };
    LiveWall {
        seq: now.seq,
        code: code.filter(|_| now.ended.is_none()),
        place: now.place,
        paused: now.paused,
        ended: now.ended.is_some(),
        joined: now.students.len(),
        hands: now.students.values().filter(|seat| seat.hand.is_some()).count(),
        question: question.map(|(number, _)| number),
        prompt: question.map(|(_, one)| one.asked.prompt().to_owned()).unwrap_or_default(),
        open: question.is_some_and(|(_, question)| !question.closed),
        answered: question.map_or(0, |(_, question)| question.answered),
        right: question.filter(|(_, one)| one.told).map(|(_, one)| one.asked.right()),
        answers: answers.filter_map(|(shown, lines)| answer(shown, lines)).collect(),
        shares: shares
            .map(|(number, one)| {
                grouped(now, number, one).into_iter().map(share(one.told)).take(8).collect()
            })
            .unwrap_or_default(),
        wonder: now.wonder.and_then(|wonder| now.wonders.get(&wonder)).cloned(),
    }
}

fn on_wall(answered: &Answered, most: u16) -> WallAnswer {
    let text = |text: &str| WallLine { latex: String::new(), text: text.to_owned() };
    let mut lines = match (&answered.given, &answered.mark.judgement) {
        (_, Some(judgement)) => judgement
            .lines
            .iter()
            .chain(&judgement.answer)
            .map(|line| WallLine { latex: line.reading.clone(), text: line.plain.clone() })
            .collect(),
        (Given::Judged { is_true, why }, _) => {
            let word = if *is_true { "True" } else { "False" };
            [word, why.as_str()].into_iter().filter(|part| !part.is_empty()).map(text).collect()
        }
        (Given::Drawing { .. }, _) => Vec::new(),
        _ => {
            vec![WallLine { latex: answered.mark.latex.clone(), text: answered.mark.ends.clone() }]
        }
    };
    let of = lines.len();
    if most > 0 {
        lines.truncate(usize::from(most));
    }
    let strokes = match &answered.given {
        Given::Drawing { strokes } => strokes.clone(),
        _ => Vec::new(),
    };
    WallAnswer { lines, of, strokes }
}

/// All that a teacher sees.
pub(super) fn view(mut live: LiveLesson, now: &Now, lesson: &lesson::Lesson, at: i64) -> LiveView {
    // What the events say is newer than what was read when somebody began to listen.
    if now.ended.is_some() {
        (live.ended, live.code) = (now.ended, None);
    }
    let question = now.question();
    let student = |(id, seat): (&u64, &Seated)| {
        let answered = question.and_then(|(number, _)| seat.answers.get(&number));
        LiveStudent {
            id: *id,
            name: seat.name.clone(),
            partner: seat.partner.clone(),
            hand: seat.hand,
            place: now.place_of(*id),
            tries: answered.map_or(0, |one| one.tries),
            right: answered.and_then(|one| one.mark.right),
            stuck: now.stuck(*id, at),
            answered: seat.answers.len(),
            were_right: seat.answers.values().filter(|one| one.mark.right == Some(true)).count(),
            last: seat.last,
        }
    };
    let full = |(number, question): (u32, &Question)| {
        let drawing = |(student, seat): (&u64, &Seated)| match &seat.answers.get(&number)?.given {
            Given::Drawing { strokes } => {
                Some(LiveDrawing { student: *student, strokes: strokes.clone() })
            }
            _ => None,
        };
        LiveQuestion {
            number,
            asked: question.asked.view(),
            scene: question.asked.figure().map(drawing::draw),
            right: question.asked.right(),
            tells: question.tells,
            tries: question.tries,
            closed: question.closed,
            told: question.told,
            answered: question.answered,
            groups: grouped(now, number, question),
            drawings: now.students.iter().filter_map(drawing).collect(),
        }
    };
    let slide = lesson.slides.get(usize::from(now.place.slide));
    let entry = |(number, question): (&u32, &Question)| LiveQuestionEntry {
        number: *number,
        prompt: question.asked.prompt().to_owned(),
        answered: question.answered,
    };
    LiveView {
        seq: now.seq,
        now: at,
        place: now.place,
        pace: now.pace,
        paused: now.paused,
        slides: lesson.slides.len(),
        students: now.students.iter().map(student).collect(),
        question: question.map(full),
        questions: now.questions.iter().map(entry).collect(),
        wonders: now
            .wonders
            .iter()
            .map(|(id, text)| LiveWonder { id: *id, text: text.clone() })
            .collect(),
        wall: wall(now, live.code.clone()),
        offers: slide.map(offerings).unwrap_or_default(),
        live: live.into(),
    }
}
