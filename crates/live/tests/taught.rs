//! Live lessons: events add up the same wherever they are read, and answers are put together by what they mean.

use desk::DeskLine;
use lesson::blocks::{PracticeBlock, QuestionBlock};
use lesson::{Asks, Block, Offered, PhaseKind, PracticeOrder, Slide};
use live::taught::{
    AnswerMark, ClassQuestion, Event, Given, Happened, LessonPlace, MOST_QUESTIONS, Now, Pace,
    ShownAnswer, Stuck, Tells, ToAsk, groups, mark, offerings, seen,
};
use proptest::prelude::*;

fn expand() -> ClassQuestion {
    let lesson =
        lesson::Lesson::new("x", 7, teaching::skill::Strand::Algebra, 45).expect("a lesson");
    let wanted = ToAsk::Typed { text: "expand 3(x + 4)".into() };
    wanted.asked(&lesson, &Now::default()).expect("a question")
}

fn open(prompt: &str, answer: &str) -> ClassQuestion {
    ClassQuestion::Open { prompt: prompt.into(), answer: answer.into() }
}

fn lines(all: &[&str]) -> Given {
    let line = |text: &&str| DeskLine { text: (*text).to_owned(), latex: false };
    Given::Desk { lines: all.iter().map(line).collect(), answer: None }
}

fn text(text: &str) -> Given {
    Given::Text { text: text.into() }
}

/// A row of events, each a second after the one before.
#[derive(Default)]
struct Row {
    events: Vec<Happened>,
}

impl Row {
    fn add(&mut self, student: Option<u64>, event: Event) -> &mut Self {
        let seq = self.events.len() as u64 + 1;
        let at = 1_000 * i64::try_from(seq).expect("small");
        self.events.push(Happened { seq, at, student, event });
        self
    }

    fn begun(students: &[&str]) -> Self {
        let mut row = Self::default();
        row.add(None, Event::Opened);
        for (id, name) in (1..).zip(students) {
            row.add(Some(id), Event::Joined { name: (*name).into() });
        }
        row
    }

    fn asks(&mut self, asked: ClassQuestion, tells: Tells, tries: u8) -> &mut Self {
        let asked = Box::new(asked);
        self.add(None, Event::Asked { asked, tells, tries })
    }

    fn gives(&mut self, student: u64, question: u32, given: Given) -> &mut Self {
        let asked = self.now().questions[&question].asked.clone();
        let mark = Box::new(mark(&asked, &given));
        self.add(Some(student), Event::Gave { question, given, mark })
    }

    fn now(&self) -> Now {
        Now::after(&self.events)
    }
}

#[test]
fn what_was_typed_is_worked_where_it_can_be_and_else_asked_in_words() {
    assert!(matches!(expand(), ClassQuestion::Rung { .. }));
    let lesson =
        lesson::Lesson::new("x", 7, teaching::skill::Strand::Algebra, 45).expect("a lesson");
    let now = Now::default();
    let typed = |text: &str| ToAsk::Typed { text: text.into() }.asked(&lesson, &now);
    assert!(matches!(typed("Why is a square a rectangle?"), Ok(ClassQuestion::Open { .. })));
    assert!(typed("  ").is_err());
    let poll = |choices: &[&str], right: &[usize]| {
        let choices = choices.iter().map(|one| (*one).to_owned()).collect();
        let right = right.to_vec();
        ToAsk::Choice { prompt: "Which?".into(), choices, right }.asked(&lesson, &now)
    };
    assert!(poll(&["A", "B"], &[]).is_ok_and(|asked| !asked.has_right()));
    for (choices, right) in [(&["A"][..], &[][..]), (&["A", " "], &[]), (&["A", "B"], &[2])] {
        assert!(poll(choices, right).is_err(), "{choices:?}");
    }
    // Other numbers, the same skill.
    let mut row = Row::begun(&["Ada"]);
    row.asks(expand(), Tells::AtOnce, 0);
    let again = ToAsk::Again { question: 1, seed: 7 }.asked(&lesson, &row.now());
    let (ClassQuestion::Rung { rung: first }, Ok(ClassQuestion::Rung { rung: second })) =
        (expand(), again)
    else {
        panic!("problems")
    };
    assert!(first.skill == second.skill && first.prompt != second.prompt);
    assert!(ToAsk::Again { question: 2, seed: 7 }.asked(&lesson, &row.now()).is_err());
}

#[test]
fn answers_are_put_together_by_what_they_mean_and_slips_are_named() {
    let asked = expand();
    let marks: Vec<AnswerMark> =
        [&["3x + 12"][..], &["12 + 3x"], &["3x + 4"], &["4 + 3x"], &["7x"], &["3x + 4"]]
            .iter()
            .map(|all| mark(&asked, &lines(all)))
            .collect();
    let found = groups((1..).zip(&marks), None);
    let told: Vec<(Option<bool>, usize, &str)> = found
        .iter()
        .map(|group| (group.right, group.students.len(), group.ends.as_str()))
        .collect();
    assert_eq!(told[0], (Some(false), 3, "3x + 4"), "{found:?}");
    assert_eq!((told[1].0, told[1].1), (Some(true), 2), "{found:?}");
    assert_eq!(told.len(), 3);
    assert_eq!(found[0].slip, "Multiplied only the first term in the bracket.");
    assert_eq!(found[0].forms.len(), 2);
}

#[test]
fn what_is_typed_in_words_or_mathematics_is_right_only_when_it_is_known_to_be() {
    for (answer, given, right) in [
        ("$3x + 12$", "12 + 3x", Some(true)),
        ("3x + 12", "3x + 4", Some(false)),
        ("1/2", "0.5", Some(true)),
        ("a square", "A  square", Some(true)),
        ("a square", "a rectangle", None),
        ("", "anything", None),
        ("12", "twelve bees", None),
    ] {
        assert_eq!(mark(&open("?", answer), &text(given)).right, right, "{answer} <- {given}");
    }
    let choice = ClassQuestion::Choice {
        prompt: "?".into(),
        choices: vec!["A".into(), "B".into()],
        right: vec![1],
    };
    assert_eq!(mark(&choice, &Given::Choice { choice: 1 }).right, Some(true));
    assert_eq!(mark(&choice, &Given::Choice { choice: 0 }).right, Some(false));
    let judged = |is_true| Given::Judged { is_true, why: "because".into() };
    let claim =
        ClassQuestion::TrueOrFalse { prompt: "?".into(), is_true: false, why: String::new() };
    assert_eq!(mark(&claim, &judged(false)).right, Some(true));
    assert_eq!(mark(&claim, &judged(true)).right, Some(false));
}

#[test]
fn an_answer_has_to_fit_its_question_and_its_limits() {
    let long = "x".repeat(601);
    let choice = ClassQuestion::Choice {
        prompt: "?".into(),
        choices: vec!["A".into(), "B".into()],
        right: Vec::new(),
    };
    let claim =
        ClassQuestion::TrueOrFalse { prompt: "?".into(), is_true: true, why: String::new() };
    let pad = ClassQuestion::Drawing { prompt: "?".into(), figure: None };
    let strokes = |points: usize| Given::Drawing { strokes: vec![vec![1; points]] };
    for (asked, given, fits) in [
        (open("?", ""), text("a"), true),
        (open("?", ""), text("  "), false),
        (open("?", ""), text(&long), false),
        (open("?", ""), Given::Choice { choice: 0 }, false),
        (choice.clone(), Given::Choice { choice: 1 }, true),
        (choice.clone(), Given::Choice { choice: 2 }, false),
        (claim.clone(), Given::Judged { is_true: true, why: String::new() }, true),
        (claim, Given::Judged { is_true: true, why: long.clone() }, false),
        (expand(), lines(&["3x + 12"]), true),
        (expand(), lines(&[""]), false),
        (expand(), lines(&["x"; 61]), false),
        (pad.clone(), strokes(3), true),
        (pad, strokes(8_001), false),
    ] {
        assert_eq!(given.check(&asked).is_ok(), fits, "{given:?}");
    }
}

#[test]
fn a_question_takes_answers_while_it_is_open_and_tells_when_it_was_asked_to() {
    let mut row = Row::begun(&["Ada", "Bo"]);
    row.asks(open("1 + 1", "2"), Tells::WhenAll, 1);
    assert!(row.now().may_answer(1, 1).is_ok() && row.now().may_answer(1, 2).is_err());
    row.gives(1, 1, text("2"));
    let now = row.now();
    assert!(now.may_answer(1, 1).is_err() && now.may_answer(2, 1).is_ok(), "one try");
    assert!(!now.tells(&now.questions[&1]), "Bo has not answered");
    row.gives(2, 1, text("3"));
    let now = row.now();
    assert!(now.tells(&now.questions[&1]) && now.ends_a_wait(row.events.last().expect("one")));
    // What comes in after its limit changes nothing.
    row.gives(1, 1, text("5"));
    assert_eq!(row.now().students[&1].answers[&1].mark.ends, "2");
    // Asking the next one closes it; what is right is told by the teacher alone.
    row.asks(open("2 + 2", "4"), Tells::Never, 0);
    let now = row.now();
    assert!(now.questions[&1].closed && now.may_answer(1, 1).is_err());
    row.gives(1, 2, text("4")).gives(2, 2, text("4"));
    assert!(!row.now().tells(&row.now().questions[&2]));
    row.add(None, Event::Told { question: 2 });
    assert!(row.now().tells(&row.now().questions[&2]));
    row.add(None, Event::Ended);
    assert!(row.now().ended.is_some() && row.now().may_answer(1, 2).is_err());
}

#[test]
fn whoever_needs_help_is_found() {
    let mut row = Row::begun(&["Ada", "Bo", "Cy", "Dee"]);
    row.asks(expand(), Tells::AtOnce, 0);
    for _ in 0..2 {
        row.gives(1, 1, lines(&["3x + 4"]));
    }
    for wrong in ["5x", "x + 100", "8x + 2"] {
        row.gives(2, 1, lines(&[wrong]));
    }
    row.gives(3, 1, lines(&["3x + 12"]));
    let now = row.now();
    let later = now.questions[&1].at + 200_000;
    assert_eq!(now.stuck(1, later), Some(Stuck::SameSlip));
    assert_eq!(now.stuck(2, later), Some(Stuck::Tries));
    assert_eq!(now.stuck(3, later), None);
    assert_eq!(now.stuck(4, later), Some(Stuck::Time));
    assert_eq!(now.stuck(4, now.questions[&1].at + 5_000), None);
}

#[test]
fn the_pace_says_where_a_student_may_stand() {
    let place = |slide, step| LessonPlace { slide, step };
    let mut row = Row::begun(&["Ada"]);
    row.add(None, Event::Moved { place: place(2, 3) });
    assert_eq!(row.now().place_of(1), place(2, 3));
    assert!(!row.now().may_go(place(0, 1)));
    for (pace, goes, stays) in [
        (Pace::Behind, place(1, 1), place(3, 1)),
        (Pace::Between { first: 4, last: 5 }, place(5, 2), place(6, 1)),
    ] {
        row.add(None, Event::Paced { pace });
        assert!(row.now().may_go(goes) && !row.now().may_go(stays), "{pace:?}");
        row.add(Some(1), Event::At { place: goes });
        assert_eq!(row.now().place_of(1), goes);
    }
    row.add(None, Event::Paced { pace: Pace::Between { first: 0, last: 1 } });
    assert_eq!(row.now().place_of(1), place(1, 1), "whoever is past its end stands at its end");
    row.add(None, Event::Paced { pace: Pace::Together });
    assert_eq!(row.now().place_of(1), place(2, 3));
}

#[test]
fn hands_partners_and_questions_of_students_are_kept() {
    let mut row = Row::begun(&["Ada", "Bo"]);
    row.add(Some(1), Event::Hand { up: true }).add(Some(1), Event::With { partner: "Cy".into() });
    row.add(Some(2), Event::Wondered { text: "Why?".into() });
    let now = row.now();
    assert!(now.students[&1].hand.is_some() && now.students[&1].partner == "Cy");
    let wonder = *now.wonders.first_key_value().expect("one").0;
    row.add(None, Event::WonderOnWall { wonder: Some(wonder) });
    row.add(None, Event::HandSeen { student: 1 });
    let now = row.now();
    assert_eq!((now.wonder, now.students[&1].hand), (Some(wonder), None));
    let shown = |student| ShownAnswer { question: 1, student };
    row.add(None, Event::OnWall { answers: vec![shown(1), shown(2), shown(1)], lines: 0 });
    assert_eq!(row.now().on_wall.len(), 2, "at most two are compared");
}

#[test]
fn a_slide_offers_what_can_be_asked_and_shows_a_student_nothing_that_comes_later() {
    let choices =
        vec![Offered { text: "8".into(), right: false }, Offered { text: "9".into(), right: true }];
    let question = QuestionBlock { prompt: "3 squared?".into(), asks: Asks::Choice { choices } };
    let order = PracticeOrder::Typed { problem: "3x + 5 = 20".into() };
    let Ok(Block::Practice(PracticeBlock { source, rung })) = order.block() else {
        panic!("a problem")
    };
    let answer = rung.answer.text.clone();
    let practice = PracticeBlock { source, rung };
    let blocks =
        vec![question.into(), practice.into(), QuestionBlock::open("Why?", "Because").into()];
    let mut slide = Slide::new(1, "Squares", PhaseKind::GuidedPractice, blocks);
    slide.notes = "Nobody sees this".into();
    let offers = offerings(&slide);
    assert_eq!(offers.len(), 3);
    assert!(matches!(&offers[0].asked, ClassQuestion::Choice { right, .. } if *right == [1]));
    let moments = slide.moments().len();
    let json = |step: usize| {
        let (slide, reveal) = seen(&slide, u16::try_from(step).expect("small"));
        serde_json::to_string(&(slide, reveal)).expect("plain data")
    };
    for secret in ["Nobody sees", "Because", "\"right\":true", &answer] {
        assert!(!json(1).contains(secret), "{secret} in {}", json(1));
    }
    let end = json(moments);
    assert!(end.contains("Because") && end.contains("\"right\":true") && end.contains(&answer));
    assert!(!end.contains("Nobody sees"));
    assert_eq!(json(0), json(1), "before the first moment stands the first");
    assert_eq!(json(moments + 5).len(), end.len());
}

#[test]
fn a_lesson_has_room_for_so_many_questions() {
    let mut row = Row::begun(&["Ada"]);
    for _ in 0..MOST_QUESTIONS + 3 {
        row.asks(open("?", ""), Tells::AtOnce, 0);
    }
    assert_eq!(row.now().questions.len(), MOST_QUESTIONS);
}

fn any_event() -> impl Strategy<Value = (Option<u64>, Event)> {
    let place = (0u16..6, 0u16..6).prop_map(|(slide, step)| LessonPlace { slide, step });
    let teacher = prop_oneof![
        Just(Event::Opened),
        place.clone().prop_map(|place| Event::Moved { place }),
        any::<bool>().prop_map(|paused| Event::Paused { paused }),
        (0u32..5).prop_map(|question| Event::Told { question }),
        (0u32..5, any::<bool>()).prop_map(|(question, closed)| Event::Closed { question, closed }),
        Just(Event::Asked { asked: Box::new(open("?", "2")), tells: Tells::WhenAll, tries: 2 }),
        Just(Event::Ended),
    ];
    let student = prop_oneof![
        "[A-C]".prop_map(|name| Event::Joined { name }),
        place.prop_map(|place| Event::At { place }),
        any::<bool>().prop_map(|up| Event::Hand { up }),
        (0u32..5, 0u32..4).prop_map(|(question, n)| {
            let given = text(&n.to_string());
            let mark = Box::new(mark(&open("?", "2"), &given));
            Event::Gave { question, given, mark }
        }),
    ];
    prop_oneof![
        teacher.prop_map(|event| (None, event)),
        (1u64..5, student).prop_map(|(id, event)| (Some(id), event)),
    ]
}

proptest! {
    /// Whoever reads the same events, in whatever portions and however often, has the same lesson.
    #[test]
    fn the_same_events_are_the_same_lesson(
        all in prop::collection::vec(any_event(), 0..60), cut in 0usize..60, again in 0usize..60,
    ) {
        let mut row = Row::default();
        for (student, event) in all {
            row.add(student, event);
        }
        let whole = row.now();
        let mut parts = Now::after(row.events.iter().take(cut));
        for event in row.events.iter().skip(again.min(cut)) {
            parts.add(event);
        }
        prop_assert_eq!(&parts, &whole);
        let kept: Vec<Happened> = row
            .events
            .iter()
            .map(|one| {
                let text = serde_json::to_string(one).expect("plain data");
                serde_json::from_str(&text).expect("what was written")
            })
            .collect();
        prop_assert_eq!(Now::after(&kept), whole);
    }

    /// Whoever answered is counted once, and a question that is closed takes no more.
    #[test]
    fn answers_are_counted_once(all in prop::collection::vec(any_event(), 0..80)) {
        let mut row = Row::default();
        for (student, event) in all {
            row.add(student, event);
        }
        let now = row.now();
        for (number, question) in &now.questions {
            let given = now.students.values().filter(|seat| seat.answers.contains_key(number));
            prop_assert_eq!(question.answered, given.count());
        }
        for seat in now.students.values() {
            prop_assert!(seat.answers.values().all(|answered| answered.tries <= 2));
        }
    }
}
