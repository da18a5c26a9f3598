//! A live lesson of the demo world that is over: what was asked, and what a class made of it. Every answer is judged like any
//! other.

use super::students::{right, slip};
use lesson::{Lesson, PracticeOrder};
use live::taught::{
    ClassQuestion, Event, Given, LessonPlace, Now, Offering, ShownAnswer, Tells, ToAsk, mark,
    offerings,
};
use store::live::{NewEvent, OpenTo};
use store::{ClassId, Db, LessonId, StoreError, StudentId, TeacherId, class};
use teaching::skill::Stage;

/// Most questions that were asked.
const ASKED: usize = 5;
const MINUTE: i64 = 60_000;
const WORDS: &[&str] = &[
    "Finding what to do first.",
    "Now I can check it myself.",
    "The minus before the brackets.",
    "It was easier with the picture.",
];

/// Teaches a lesson to a class, two days before `now` in seconds of Unix time.
///
/// # Errors
/// The database does not keep it.
pub async fn held(
    db: &Db,
    orla: TeacherId,
    class: ClassId,
    (id, lesson): (LessonId, &Lesson),
    now: i64,
) -> Result<(), StoreError> {
    let began = (now - 2 * 86_400) * 1_000;
    let live = store::live::begin(db, orla, (id, lesson), OpenTo::Class(class), began).await?;
    let students = class::students(db, orla, class).await?;
    let keep = |events: Vec<NewEvent>, at: i64| async move {
        store::live::append(db, live, &events, at).await.map(|_| ())
    };
    let joined = students.iter().map(|student| NewEvent {
        student: Some(student.id),
        token: None,
        event: Event::Joined { name: student.name.clone() },
    });
    keep(joined.collect(), began + MINUTE).await?;
    let mut at = began + 2 * MINUTE;
    let (mut number, mut asked_so_far) = (0u32, 0usize);
    for (slide, nth) in lesson.slides.iter().zip(0u16..) {
        let place = LessonPlace { slide: nth, step: 1 };
        keep(vec![teacher(Event::Moved { place })], at).await?;
        at += 3 * MINUTE;
        let judged = |one: &Offering| !matches!(one.asked, ClassQuestion::Drawing { .. });
        let offered = offerings(slide).into_iter().find(judged);
        // Where a slide asks nothing, the class works a problem of the skill.
        let asked = offered
            .map(|offering| offering.asked)
            .or_else(|| if nth > 1 { practice(lesson, nth) } else { None });
        let Some(asked) = asked.filter(|_| asked_so_far < ASKED) else { continue };
        number += 1;
        asked_so_far += 1;
        let boxed = Box::new(asked.clone());
        keep(vec![teacher(Event::Asked { asked: boxed, tells: Tells::AtOnce, tries: 0 })], at)
            .await?;
        for (student, seat) in students.iter().zip(0usize..) {
            at += 9_000;
            let slips = (seat + asked_so_far) % 4 == 0;
            let given = answer(&asked, seat, slips);
            let event =
                Event::Gave { question: number, mark: Box::new(mark(&asked, &given)), given };
            keep(vec![by(student.id, event)], at).await?;
        }
        let shown = ShownAnswer { question: number, student: students[asked_so_far].id.0 };
        let on_wall = Event::OnWall { answers: vec![shown], lines: 0 };
        keep(vec![teacher(on_wall)], at + MINUTE).await?;
        keep(vec![teacher(Event::Told { question: number })], at + 2 * MINUTE).await?;
        at += 3 * MINUTE;
    }
    let wonders = Event::Wondered { text: "Does it work with fractions too?".into() };
    keep(vec![by(students[1].id, wonders)], at).await?;
    keep(vec![teacher(Event::Ended)], at + MINUTE).await
}

/// A problem of the lesson's skill.
fn practice(lesson: &Lesson, nth: u16) -> Option<ClassQuestion> {
    let skill = lesson.sheet.skill.clone();
    let order = PracticeOrder::Drawn {
        skill: skill.unwrap_or_else(|| "equations.linear".into()),
        stage: Stage::Grip,
        method: None,
        index: nth.into(),
        seed: 7,
    };
    ToAsk::Practice { order }.asked(lesson, &Now::default()).ok()
}

const fn teacher(event: Event) -> NewEvent {
    NewEvent { student: None, token: None, event }
}

const fn by(student: StudentId, event: Event) -> NewEvent {
    NewEvent { student: Some(student), token: None, event }
}

/// What a student answered.
fn answer(asked: &ClassQuestion, seat: usize, slips: bool) -> Given {
    match asked {
        ClassQuestion::Rung { rung } => {
            let slipped = slips.then(|| slip(rung)).flatten();
            Given::Desk { lines: slipped.unwrap_or_else(|| right(rung)), answer: None }
        }
        ClassQuestion::Choice { choices, right, .. } => {
            let best = right.first().copied().unwrap_or(0);
            let choice = if slips { (best + 1) % choices.len() } else { best };
            Given::Choice { choice }
        }
        ClassQuestion::TrueOrFalse { is_true, .. } => {
            Given::Judged { is_true: *is_true != slips, why: String::new() }
        }
        ClassQuestion::Open { answer, .. } if !answer.trim().is_empty() && !slips => {
            Given::Text { text: answer.replace('$', "") }
        }
        _ => Given::Text { text: WORDS[seat % WORDS.len()].into() },
    }
}
