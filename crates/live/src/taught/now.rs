//! What the events of a live lesson add up to.

use super::asked::ClassQuestion;
use super::event::{Event, Happened, LessonPlace, Pace, ShownAnswer, Tells};
use super::given::{AnswerMark, Given};
use super::{MOST_QUESTIONS, MOST_SEATS};
use serde::Serialize;
use std::collections::BTreeMap;
use utoipa::ToSchema;

/// After so long without an answer to an open question somebody is stuck, in milliseconds.
const LONG: i64 = 120_000;
/// After so many answers that are not right somebody is stuck.
const MANY: u16 = 3;

/// An answer with what was said of it.
#[derive(Debug, Clone, PartialEq)]
pub struct Answered {
    /// What.
    pub given: Given,
    /// What is said of it.
    pub mark: AnswerMark,
    /// How often they answered.
    pub tries: u16,
    /// When, in milliseconds of Unix time.
    pub at: i64,
    /// The slips of their tries, each with how often it was made.
    pub slips: BTreeMap<String, u16>,
}

/// A student in the lesson.
#[derive(Debug, Clone, PartialEq)]
pub struct Seated {
    /// The first name.
    pub name: String,
    /// Who answers with them; empty for nobody.
    pub partner: String,
    /// Where they went by themselves.
    pub place: LessonPlace,
    /// Since when a hand is up, in milliseconds of Unix time.
    pub hand: Option<i64>,
    /// When they did something last.
    pub last: i64,
    /// Their answers, by question.
    pub answers: BTreeMap<u32, Answered>,
}

/// Something that was asked.
#[derive(Debug, Clone, PartialEq)]
pub struct Question {
    /// What.
    pub asked: ClassQuestion,
    /// When they see what is said of their answers.
    pub tells: Tells,
    /// How often they may answer; 0 for as often as they like.
    pub tries: u8,
    /// When it was asked, in milliseconds of Unix time.
    pub at: i64,
    /// Whether it takes no more answers.
    pub closed: bool,
    /// Whether what is right was told.
    pub told: bool,
    /// How many have answered.
    pub answered: usize,
}

/// Why somebody may need help.
#[derive(Debug, Clone, Copy, PartialEq, Eq, PartialOrd, Ord, Serialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum Stuck {
    /// They made the same slip twice.
    SameSlip,
    /// They tried several times.
    Tries,
    /// They have not answered for long.
    Time,
}

/// A live lesson as it stands.
#[derive(Debug, Clone, PartialEq, Default)]
pub struct Now {
    /// The last event that is in it.
    pub seq: u64,
    /// When it began, in milliseconds of Unix time.
    pub began: i64,
    /// When it was closed.
    pub ended: Option<i64>,
    /// Where the wall stands.
    pub place: LessonPlace,
    /// Who decides where students stand.
    pub pace: Pace,
    /// Whether they are to look up.
    pub paused: bool,
    /// What was asked, by number from 1.
    pub questions: BTreeMap<u32, Question>,
    /// The students.
    pub students: BTreeMap<u64, Seated>,
    /// What students wonder, by the event it was told in.
    pub wonders: BTreeMap<u64, String>,
    /// The answers that stand on the wall.
    pub on_wall: Vec<ShownAnswer>,
    /// How many lines of the first of them show; 0 for all.
    pub lines: u16,
    /// The question whose shares stand on the wall.
    pub shares: Option<u32>,
    /// What somebody wonders that stands on the wall.
    pub wonder: Option<u64>,
}

impl Now {
    /// Adds what happened next. What does not fit what was before, such as an answer to no question, changes nothing.
    pub fn add(&mut self, happened: &Happened) {
        if happened.seq <= self.seq {
            return;
        }
        self.seq = happened.seq;
        match happened.student {
            Some(student) => self.by_student(student, happened),
            None => self.by_teacher(happened),
        }
    }

    /// The lesson after those events.
    #[must_use]
    pub fn after<'a>(events: impl IntoIterator<Item = &'a Happened>) -> Self {
        let mut now = Self::default();
        for event in events {
            now.add(event);
        }
        now
    }

    fn by_teacher(&mut self, happened: &Happened) {
        match &happened.event {
            Event::Opened => self.began = happened.at,
            Event::Moved { place } => self.place = *place,
            Event::Paced { pace } => self.pace = *pace,
            Event::Paused { paused } => self.paused = *paused,
            Event::Asked { asked, tells, tries } if self.questions.len() < MOST_QUESTIONS => {
                // One thing at a time: what was asked before is closed.
                for before in self.questions.values_mut() {
                    before.closed = true;
                }
                let new = Question {
                    asked: (**asked).clone(),
                    tells: *tells,
                    tries: *tries,
                    at: happened.at,
                    closed: false,
                    told: false,
                    answered: 0,
                };
                self.questions.insert(self.next_question(), new);
                (self.on_wall, self.shares, self.wonder) = (Vec::new(), None, None);
            }
            Event::Closed { question, closed } => {
                if let Some(question) = self.questions.get_mut(question) {
                    question.closed = *closed;
                }
            }
            Event::Told { question } => {
                if let Some(question) = self.questions.get_mut(question) {
                    (question.told, question.closed) = (true, true);
                }
            }
            Event::OnWall { answers, lines } => {
                self.on_wall = answers.iter().take(2).cloned().collect();
                self.lines = *lines;
            }
            Event::SharesOnWall { question } => self.shares = *question,
            Event::HandSeen { student } => {
                if let Some(student) = self.students.get_mut(student) {
                    student.hand = None;
                }
            }
            Event::WonderOnWall { wonder } => self.wonder = *wonder,
            Event::Ended => {
                self.ended = Some(happened.at);
                for question in self.questions.values_mut() {
                    question.closed = true;
                }
            }
            _ => {}
        }
    }

    fn by_student(&mut self, student: u64, happened: &Happened) {
        if let Event::Joined { name } = &happened.event {
            if self.students.len() < MOST_SEATS || self.students.contains_key(&student) {
                let new = || Seated {
                    name: name.clone(),
                    partner: String::new(),
                    place: LessonPlace::default(),
                    hand: None,
                    last: happened.at,
                    answers: BTreeMap::new(),
                };
                let seat = self.students.entry(student).or_insert_with(new);
                seat.name.clone_from(name);
                seat.last = happened.at;
            }
            return;
        }
        let Some(seat) = self.students.get_mut(&student) else { return };
        seat.last = happened.at;
        match &happened.event {
            Event::With { partner } => seat.partner.clone_from(partner),
            Event::At { place } => seat.place = *place,
            Event::Gave { question, given, mark } => {
                let Some(asked) = self.questions.get_mut(question) else { return };
                let before = seat.answers.get(question);
                // It was closed before this came.
                let spent = before.is_some_and(|one| one.tries >= u16::from(asked.tries));
                if asked.closed || asked.tries > 0 && spent {
                    return;
                }
                asked.answered += usize::from(before.is_none());
                let mut slips = before.map(|one| one.slips.clone()).unwrap_or_default();
                if !mark.slip.is_empty() {
                    *slips.entry(mark.slip.clone()).or_default() += 1;
                }
                let tries = before.map_or(0, |one| one.tries) + 1;
                let (given, mark) = (given.clone(), (**mark).clone());
                let answered = Answered { given, mark, tries, at: happened.at, slips };
                seat.answers.insert(*question, answered);
            }
            Event::Hand { up } => seat.hand = up.then(|| seat.hand.unwrap_or(happened.at)),
            Event::Wondered { text } => {
                self.wonders.insert(happened.seq, text.clone());
            }
            _ => {}
        }
    }

    /// The question that is asked last, with its number.
    #[must_use]
    pub fn question(&self) -> Option<(u32, &Question)> {
        self.questions.last_key_value().map(|(number, question)| (*number, question))
    }

    /// The number that the next question has.
    #[must_use]
    pub fn next_question(&self) -> u32 {
        self.questions.last_key_value().map_or(1, |(last, _)| last + 1)
    }

    /// Where a student stands: where the teacher does, or where they may have gone by themselves.
    #[must_use]
    pub fn place_of(&self, student: u64) -> LessonPlace {
        let own = self.students.get(&student).map(|seat| seat.place).unwrap_or_default();
        match self.pace {
            Pace::Together => self.place,
            Pace::Behind => own.min(self.place),
            Pace::Free => own,
            Pace::Between { first, last } => {
                if own.slide < first {
                    LessonPlace { slide: first, step: 1 }
                } else if own.slide > last {
                    LessonPlace { slide: last, step: 1 }
                } else {
                    own
                }
            }
        }
    }

    /// Whether a student may go there by themselves.
    #[must_use]
    pub fn may_go(&self, place: LessonPlace) -> bool {
        match self.pace {
            Pace::Together => false,
            Pace::Behind => place <= self.place,
            Pace::Free => true,
            Pace::Between { first, last } => (first..=last).contains(&place.slide),
        }
    }

    /// Whether a student may answer that question now.
    ///
    /// # Errors
    /// Why not.
    pub fn may_answer(&self, student: u64, question: u32) -> Result<&ClassQuestion, &'static str> {
        let asked = self.questions.get(&question).ok_or("This question is not asked any more.")?;
        if asked.closed || self.ended.is_some() {
            return Err("This question is closed. Look up at the wall.");
        }
        let tries = self.students.get(&student).and_then(|seat| seat.answers.get(&question));
        if asked.tries > 0 && tries.is_some_and(|one| one.tries >= u16::from(asked.tries)) {
            return Err("You have answered this. Look up at the wall.");
        }
        Ok(&asked.asked)
    }

    /// Whether a student sees what is said of their answer to a question.
    #[must_use]
    pub fn tells(&self, question: &Question) -> bool {
        question.told
            || match question.tells {
                Tells::AtOnce => true,
                Tells::WhenAll => question.closed || question.answered >= self.students.len(),
                Tells::Never => false,
            }
    }

    /// Whether an answer was the last that everybody waited for, so that all are told now.
    #[must_use]
    pub fn ends_a_wait(&self, happened: &Happened) -> bool {
        let Event::Gave { question, .. } = &happened.event else { return false };
        self.questions.get(question).is_some_and(|asked| {
            asked.tells == Tells::WhenAll && asked.answered >= self.students.len()
        })
    }

    /// Why a student may need help with the question that is open, at `now` in milliseconds of Unix time.
    #[must_use]
    pub fn stuck(&self, student: u64, now: i64) -> Option<Stuck> {
        let (number, question) = self.question().filter(|(_, question)| !question.closed)?;
        let seat = self.students.get(&student)?;
        match seat.answers.get(&number) {
            Some(answered) if answered.mark.right == Some(true) => None,
            Some(answered) if answered.slips.values().any(|count| *count > 1) => {
                Some(Stuck::SameSlip)
            }
            Some(answered) if question.asked.has_right() && answered.tries >= MANY => {
                Some(Stuck::Tries)
            }
            Some(_) => None,
            None => (now - question.at > LONG).then_some(Stuck::Time),
        }
    }
}
