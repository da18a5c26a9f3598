//! Classes, assignments, ways back and the log: whole or not at all, and nobody else's.

use crate::kept::a_lesson_with_a_ladder;
use desk::{DeskLine, GivenAnswer, judge_with};
use skills::ladder::Rung;
use store::assignment::{
    self, Assignment, AssignmentRules, Feedback, Given, NewAssignment, Remark, To,
};
use store::audit::{self, Event};
use store::class::{self, ClassSettings, Methods};
use store::desk::Written;
use store::token::{self, Purpose};
use store::{ClassId, Db, LadderId, StoreError, StudentId, TeacherId, ladder, session, teacher};

struct World {
    db: Db,
    orla: TeacherId,
    other: TeacherId,
    class: ClassId,
    ladder: LadderId,
    students: Vec<StudentId>,
}

fn names(all: &[&str]) -> Vec<String> {
    all.iter().map(|&name| name.to_owned()).collect()
}

async fn world() -> World {
    let db = scratch::scratch().await.expect("a database").db;
    let orla = teacher::create(&db, "orla", "Orla Fenwick", "-").await.expect("kept");
    let other = teacher::create(&db, "other", "Somebody Else", "-").await.expect("kept");
    let lesson = a_lesson_with_a_ladder(&db, orla).await;
    let ladder = ladder::of_lesson(&db, orla, lesson).await.expect("ladders").remove(0).id;
    let class = class::create(&db, orla, "7b", 7).await.expect("kept");
    class::take_in(&db, orla, class, &names(&["Ada", "Bo", "Cy"])).await.expect("kept");
    let all = class::students(&db, orla, class).await.expect("students");
    let students = all.into_iter().map(|student| student.id).collect();
    World { db, orla, other, class, ladder, students }
}

fn rules() -> AssignmentRules {
    AssignmentRules {
        due: Some(900),
        hints: 3,
        alone: true,
        feedback: Feedback::AtOnce,
        staged: false,
        tries: 1,
        fresh: false,
    }
}

impl World {
    /// The ladder, to be given to a class.
    fn to_give(&self, class: ClassId) -> NewAssignment<'static> {
        let given = Given::Kept(self.ladder, None);
        NewAssignment { to: To::Class(class), given, rules: rules() }
    }

    async fn given(&self) -> Assignment {
        let id = assignment::create(&self.db, self.orla, self.to_give(self.class)).await;
        assignment::find(&self.db, self.orla, id.expect("given")).await.expect("there")
    }

    async fn write(&self, given: &Assignment, student: StudentId, rung: u16, text: &str) {
        let desk = assignment::desk(&self.db, given, student).await.expect("a desk");
        let ladder = ladder::find(&self.db, self.orla, given.ladder).await.expect("a ladder");
        let of: &Rung = &ladder.ladder.rungs[usize::from(rung) - 1];
        let lines = vec![DeskLine { text: text.to_owned(), latex: false }];
        let judgement = judge_with(of, &lines, None);
        let new = Written { rung, revision: 0, lines, answer: None, judgement };
        store::desk::save(&self.db, desk, 0, &new).await.expect("kept");
    }
}

fn is_gone<T: std::fmt::Debug>(found: Result<T, StoreError>) -> bool {
    matches!(found, Err(StoreError::NotFound))
}

#[tokio::test]
async fn a_class_is_its_teachers_own() {
    let w = world().await;
    let settings = ClassSettings {
        title: "7b, set 2".into(),
        grade: 8,
        methods: Methods::from([("equations.linear".into(), "inverse".into())]),
        keep_days: 30,
        is_open: false,
    };
    class::set(&w.db, w.orla, w.class, &settings).await.expect("set");
    let found = class::find(&w.db, w.orla, w.class).await.expect("there");
    assert_eq!((found.title.as_str(), found.grade, found.keep_days), ("7b, set 2", 8, 30));
    assert_eq!((found.methods, found.students), (settings.methods.clone(), 3));
    assert_eq!(class::by_link(&w.db, &found.link).await.expect("its page").id, w.class);
    let student = w.students[0];
    assert!(is_gone(class::by_link(&w.db, &found.link.to_uppercase()).await));
    assert!(is_gone(class::find(&w.db, w.other, w.class).await));
    assert!(is_gone(class::set(&w.db, w.other, w.class, &settings).await));
    assert!(is_gone(class::students(&w.db, w.other, w.class).await));
    assert!(is_gone(class::take_in(&w.db, w.other, w.class, &names(&["Zed"])).await));
    assert!(is_gone(class::set_student(&w.db, w.other, w.class, student, "Zed", true).await));
    assert!(is_gone(class::renew_code(&w.db, w.other, w.class, student).await));
    assert!(is_gone(class::remove_student(&w.db, w.other, w.class, student).await));
    assert!(is_gone(class::merge(&w.db, w.other, w.class, student, w.students[1]).await));
    assert!(is_gone(class::stored_of(&w.db, w.other, w.class, student).await));
    assert!(is_gone(class::remove(&w.db, w.other, w.class).await));
    assert_eq!(class::of_teacher(&w.db, w.other).await.expect("none"), []);
    assert_eq!(class::of_teacher(&w.db, w.orla).await.expect("one").len(), 1);
}

#[tokio::test]
async fn names_are_taken_in_whole_or_not_at_all() {
    let w = world().await;
    for bad in [&["Dee", "ada"][..], &["Dee", "Dee"]] {
        let taken = class::take_in(&w.db, w.orla, w.class, &names(bad)).await;
        assert!(matches!(taken, Err(StoreError::Taken)), "{bad:?}: {taken:?}");
    }
    let many: Vec<String> = (0..198).map(|n| format!("Student {n}")).collect();
    let full = class::take_in(&w.db, w.orla, w.class, &many).await;
    assert!(matches!(full, Err(StoreError::Full)), "{full:?}");
    assert_eq!(class::students(&w.db, w.orla, w.class).await.expect("three").len(), 3);
    class::take_in(&w.db, w.orla, w.class, &many[..197]).await.expect("room for 200");
    let all = class::students(&w.db, w.orla, w.class).await.expect("students");
    let codes: std::collections::HashSet<_> = all.iter().map(|student| &student.code).collect();
    assert_eq!(codes.len(), 200, "each has a code of their own");
    let found = class::by_code(&w.db, w.class, &all[7].code.to_uppercase()).await.expect("let in");
    assert_eq!(found.id, all[7].id);
    assert!(is_gone(class::by_code(&w.db, w.class, "").await));
    // The same code lets nobody into another class.
    let elsewhere = class::create(&w.db, w.orla, "8a", 8).await.expect("kept");
    assert!(is_gone(class::by_code(&w.db, elsewhere, &all[7].code).await));
}

#[tokio::test]
async fn a_ladder_is_given_only_to_a_class_of_the_same_teacher() {
    let w = world().await;
    let theirs = class::create(&w.db, w.other, "9c", 9).await.expect("kept");
    for (owner, class) in [(w.orla, theirs), (w.other, w.class), (w.other, theirs)] {
        assert!(is_gone(assignment::create(&w.db, owner, w.to_give(class)).await));
    }
    let given = w.given().await;
    let (found, kept) = assignment::by_link(&w.db, &given.link).await.expect("it opens");
    assert_eq!((found.id, kept.id, found.rungs), (given.id, w.ladder, 3));
    assert!(is_gone(assignment::by_link(&w.db, "nothing").await));
    // Its rules hold there, whatever the ladder's own link allows.
    let strict = AssignmentRules {
        due: None,
        hints: 9,
        alone: false,
        feedback: Feedback::GivenBack,
        staged: true,
        tries: 1,
        fresh: false,
    };
    assert!(is_gone(assignment::set(&w.db, w.other, given.id, strict).await));
    assignment::set(&w.db, w.orla, given.id, strict).await.expect("set");
    let (found, kept) = assignment::by_link(&w.db, &given.link).await.expect("it opens");
    assert_eq!((found.rules.due, found.rules.hints, kept.hints), (None, 3, 3));
    assert_eq!((kept.alone, found.rules.feedback), (false, Feedback::GivenBack));
    assert!(is_gone(assignment::remove(&w.db, w.other, given.id).await));
}

#[tokio::test]
async fn each_student_has_one_desk_for_an_assignment() {
    let w = world().await;
    let given = w.given().await;
    let (ada, bo) = (w.students[0], w.students[1]);
    let desk = assignment::desk(&w.db, &given, ada).await.expect("set up");
    assert_eq!(assignment::desk(&w.db, &given, ada).await.expect("the same"), desk);
    assert_ne!(assignment::desk(&w.db, &given, bo).await.expect("another"), desk);
    // Desks of a class are not among those of the ladder's own link, and their names are free there.
    let own = store::desk::of_ladder(&w.db, w.orla, w.ladder, None).await.expect("desks");
    assert_eq!(own.entries, []);
    store::desk::join(&w.db, w.ladder, "Ada").await.expect("the name is free");
    // Whoever has left, or is of another class, gets none.
    class::set_student(&w.db, w.orla, w.class, bo, "Bo", true).await.expect("hidden");
    assert!(is_gone(assignment::desk(&w.db, &given, bo).await));
    let elsewhere = class::create(&w.db, w.orla, "8a", 8).await.expect("kept");
    class::take_in(&w.db, w.orla, elsewhere, &names(&["Eli"])).await.expect("kept");
    let eli = class::students(&w.db, w.orla, elsewhere).await.expect("one").remove(0).id;
    assert!(is_gone(assignment::desk(&w.db, &given, eli).await));
}

#[tokio::test]
async fn work_is_handed_in_read_and_given_back() {
    let w = world().await;
    let given = w.given().await;
    let (ada, bo) = (w.students[0], w.students[1]);
    assert_eq!(assignment::begun(&w.db, given.id, ada).await.expect("an answer"), None);
    let rungs = ladder::find(&w.db, w.orla, w.ladder).await.expect("a ladder").ladder.rungs;
    w.write(&given, ada, 1, &rungs[0].answer.text).await;
    w.write(&given, ada, 2, "x = 1000").await;
    w.write(&given, bo, 1, "x = 1000").await;
    let begun = assignment::begun(&w.db, given.id, ada).await.expect("an answer").expect("begun");
    assert_eq!((begun.written, begun.finished, begun.progress.handed_in), (2, 1, None));
    let desk = assignment::desk(&w.db, &given, ada).await.expect("there");
    let back = async |which| assignment::give_back(&w.db, w.orla, given.id, which, 700).await;
    assert_eq!(back(None).await.expect("an answer"), 0, "nothing was handed in");
    assignment::hand_in(&w.db, desk, 500).await.expect("handed in");
    assignment::hand_in(&w.db, desk, 600).await.expect("once more");
    let progress = assignment::progress(&w.db, desk).await.expect("there");
    assert_eq!(progress.handed_in, Some(500), "the first time counts");
    let remark = |desk, rung, mark: &str| Remark {
        desk,
        rung,
        mark: Some(mark.to_owned()),
        remark: Some("Look at the sign.".to_owned()),
    };
    let say = async |owner, new: &Remark| assignment::say(&w.db, owner, given.id, new).await;
    say(w.orla, &remark(desk, 2, "again")).await.expect("said");
    say(w.orla, &remark(desk, 2, "partly")).await.expect("said otherwise");
    assert!(is_gone(say(w.orla, &remark(desk, 3, "right")).await), "nothing stands there");
    assert!(is_gone(say(w.other, &remark(desk, 2, "right")).await));
    let said = assignment::remarks(&w.db, desk).await.expect("remarks");
    assert_eq!(said, [remark(desk, 2, "partly")]);
    assert!(is_gone(assignment::give_back(&w.db, w.other, given.id, None, 700).await));
    assert_eq!(back(None).await.expect("an answer"), 1);
    let work = assignment::work(&w.db, w.orla, given.id).await.expect("work");
    let told: Vec<_> = work
        .iter()
        .map(|one| (one.name.as_str(), one.desk.is_some(), one.progress.given_back.is_some()))
        .collect();
    assert_eq!(told, [("Ada", true, true), ("Bo", true, false), ("Cy", false, false)]);
    assert!(is_gone(assignment::work(&w.db, w.other, given.id).await));
    assignment::open_again(&w.db, w.orla, given.id, desk).await.expect("open");
    assert!(is_gone(assignment::open_again(&w.db, w.other, given.id, desk).await));
    let progress = assignment::progress(&w.db, desk).await.expect("there");
    assert_eq!((progress.handed_in, progress.given_back), (None, None));
}

#[tokio::test]
async fn two_names_of_one_student_are_put_together() {
    let w = world().await;
    let (first, second) = (w.given().await, w.given().await);
    let (ada, bo) = (w.students[0], w.students[1]);
    w.write(&first, ada, 1, "x = 1").await;
    w.write(&first, bo, 1, "x = 2").await;
    w.write(&second, bo, 1, "x = 3").await;
    class::merge(&w.db, w.orla, w.class, ada, bo).await.expect("one student");
    // Where both wrote, the one that stays has what was their own; the rest goes over.
    let stored = class::stored_of(&w.db, w.orla, w.class, ada).await.expect("all of it");
    let lines: Vec<&str> = stored["work"]
        .as_array()
        .expect("work")
        .iter()
        .filter_map(|work| work["lines"][0]["text"].as_str())
        .collect();
    assert_eq!(lines, ["x = 1", "x = 3"]);
    assert!(is_gone(class::student(&w.db, w.class, bo).await));
    assert!(is_gone(class::merge(&w.db, w.orla, w.class, ada, ada).await));
    class::remove_student(&w.db, w.orla, w.class, ada).await.expect("gone");
    assert_eq!(assignment::begun(&w.db, first.id, ada).await.expect("an answer"), None);
}

#[tokio::test]
async fn an_answer_in_its_place_is_kept_with_its_lines() {
    let w = world().await;
    let given = w.given().await;
    let desk = assignment::desk(&w.db, &given, w.students[0]).await.expect("a desk");
    let rung =
        ladder::find(&w.db, w.orla, w.ladder).await.expect("a ladder").ladder.rungs.remove(0);
    let answer = Some(GivenAnswer::Choice { choice: "even".into() });
    let judgement = judge_with(&rung, &[], answer.as_ref());
    let new =
        Written { rung: 1, revision: 0, lines: Vec::new(), answer: answer.clone(), judgement };
    assert_eq!(store::desk::save(&w.db, desk, 0, &new).await.expect("kept"), 1);
    // The same once more is the same save; another answer on the same revision is late.
    assert_eq!(store::desk::save(&w.db, desk, 0, &new).await.expect("known"), 1);
    let other = Written { answer: None, ..new.clone() };
    let late = store::desk::save(&w.db, desk, 0, &other).await;
    assert!(matches!(late, Err(StoreError::Stale { revision: 1 })), "{late:?}");
    let found = store::desk::find(&w.db, w.ladder, desk).await.expect("there");
    assert_eq!(found.written[0].answer, answer);
    assert_eq!(store::desk::save(&w.db, desk, 1, &other).await.expect("kept"), 2);
    let found = store::desk::find(&w.db, w.ladder, desk).await.expect("there");
    assert_eq!(found.written[0].answer, None);
}

#[tokio::test]
async fn work_that_nobody_touched_goes_when_its_time_is_over() {
    let w = world().await;
    let given = w.given().await;
    w.write(&given, w.students[0], 1, "x = 1").await;
    assert_eq!(class::sweep(&w.db).await.expect("swept"), 0);
    let sql = "UPDATE desk_rung SET updated_at = NOW() - INTERVAL 401 DAY";
    sqlx::query(sql).execute(&w.db).await.expect("aged");
    assert_eq!(class::sweep(&w.db).await.expect("swept"), 1);
    // A desk by a ladder's own link has no class whose time could be over.
    let begun = assignment::begun(&w.db, given.id, w.students[0]).await.expect("an answer");
    assert_eq!(begun.map(|begun| begun.written), Some(0));
}

#[tokio::test]
async fn an_account_goes_with_its_classes_and_nothing_of_anybody_else() {
    let w = world().await;
    let given = w.given().await;
    w.write(&given, w.students[0], 1, "x = 1").await;
    let theirs = class::create(&w.db, w.other, "9c", 9).await.expect("kept");
    session::save(&w.db, [1; 16], "{}", Some(w.orla), 900).await.expect("kept");
    let all = teacher::export(&w.db, w.orla).await.expect("everything");
    assert_eq!(all["work"][0]["student"], "Ada");
    assert!(!teacher::is_last_administrator(&w.db, w.other).await.expect("an answer"));
    assert!(teacher::is_last_administrator(&w.db, w.orla).await.expect("an answer"));
    teacher::make_administrator(&w.db, w.other).await.expect("two of them");
    assert!(!teacher::is_last_administrator(&w.db, w.orla).await.expect("an answer"));
    teacher::remove(&w.db, w.orla).await.expect("gone");
    assert!(is_gone(teacher::find(&w.db, w.orla).await));
    assert_eq!(session::load(&w.db, [1; 16], 0).await.expect("an answer"), None);
    assert_eq!(class::find(&w.db, w.other, theirs).await.expect("still there").title, "9c");
    let taken = teacher::create(&w.db, "other", "Another", "-").await;
    assert!(matches!(taken, Err(StoreError::Taken)), "{taken:?}");
}

#[tokio::test]
async fn a_token_works_once_and_in_its_time() {
    let w = world().await;
    let give = async |purpose| token::give_out(&w.db, purpose, w.orla, 100).await.expect("given");
    let take = async |purpose, token: &str, now| token::take_in(&w.db, purpose, token, now).await;
    let first = give(Purpose::Reset).await;
    let second = give(Purpose::Reset).await;
    assert!(is_gone(take(Purpose::Reset, &first, 50).await), "a newer one took its place");
    assert!(is_gone(take(Purpose::Invitation, &second, 50).await), "it is for something else");
    assert!(is_gone(take(Purpose::Reset, &second, 100).await), "its time is over");
    assert!(token::works(&w.db, Purpose::Reset, &second, 99).await.expect("an answer"));
    assert_eq!(take(Purpose::Reset, &second, 99).await.expect("taken"), w.orla);
    assert!(is_gone(take(Purpose::Reset, &second, 99).await), "it works once");
    // Invitations stand beside each other.
    let (one, two) = (give(Purpose::Invitation).await, give(Purpose::Invitation).await);
    assert!(token::works(&w.db, Purpose::Invitation, &one, 0).await.expect("an answer"));
    assert_eq!(take(Purpose::Invitation, &two, 0).await.expect("taken"), w.orla);
    assert_eq!(token::sweep(&w.db, 100).await.expect("swept"), 1);
    // What is kept is no way in.
    let third = give(Purpose::Reset).await;
    let secrets: Vec<Vec<u8>> =
        sqlx::query_scalar("SELECT secret FROM token").fetch_all(&w.db).await.expect("rows");
    assert!(secrets.iter().all(|secret| secret.as_slice() != third.as_bytes()));
}

#[tokio::test]
async fn a_new_password_ends_the_other_sessions() {
    let w = world().await;
    for (id, of) in [(1, w.orla), (2, w.orla), (3, w.other)] {
        session::save(&w.db, [id; 16], "{}", Some(of), 900).await.expect("kept");
    }
    session::save(&w.db, [4; 16], "{}", None, 900).await.expect("a student's");
    let open = session::of_teacher(&w.db, w.orla, [2; 16], 0).await.expect("two");
    assert_eq!(open.iter().map(|one| one.is_this).collect::<Vec<_>>(), [true, false]);
    assert!(is_gone(session::end(&w.db, w.other, &open[1].name).await));
    let reset = token::give_out(&w.db, Purpose::Reset, w.orla, 900).await.expect("given");
    teacher::set_password(&w.db, w.orla, "new", Some([2; 16])).await.expect("set");
    for (id, is_there) in [(1, false), (2, true), (3, true), (4, true)] {
        let found = session::load(&w.db, [id; 16], 0).await.expect("an answer");
        assert_eq!(found.is_some(), is_there, "session {id}");
    }
    assert!(is_gone(token::take_in(&w.db, Purpose::Reset, &reset, 0).await));
    assert_eq!(teacher::find(&w.db, w.orla).await.expect("there").password_hash, "new");
}

#[tokio::test]
async fn the_log_comes_in_pages_the_latest_first() {
    let w = world().await;
    let events = [Event::AccountMade, Event::SignedIn, Event::SignInFailed, Event::Exported];
    for (at, event) in (0i64..250).zip(events.iter().cycle()) {
        let long = "x".repeat(300);
        let name = if at == 0 { long.as_str() } else { "orla" };
        audit::write(&w.db, *event, Some(w.orla), name, "127.0.0.1", at).await.expect("written");
    }
    let first = audit::read(&w.db, None).await.expect("a page");
    assert_eq!((first.entries.len(), first.entries[0].at), (200, 249));
    let rest = audit::read(&w.db, first.next.as_deref()).await.expect("the rest");
    assert_eq!((rest.entries.len(), rest.next), (50, None));
    assert_eq!(rest.entries[49].name.len(), 120, "as long as the column");
    let year = 365 * 86_400;
    assert_eq!(audit::sweep(&w.db, year + 10).await.expect("swept"), 10);
    assert!(matches!(audit::read(&w.db, Some("x")).await, Err(StoreError::NoSuchPage)));
}

#[tokio::test]
async fn an_open_class_fills_itself_up_to_its_limit() {
    let w = world().await;
    assert!(is_gone(class::join(&w.db, w.class, "Dee").await), "it is not open");
    let new = NewAssignment { to: To::Link(7), ..w.to_give(w.class) };
    let id = assignment::create(&w.db, w.orla, new).await.expect("given");
    let open = assignment::find(&w.db, w.orla, id).await.expect("there").class;
    let found = class::find(&w.db, w.orla, open).await.expect("there");
    assert!(found.is_open && found.grade == 7 && open != w.class);
    let dee = class::join(&w.db, open, "Dee").await.expect("added");
    assert!(matches!(class::join(&w.db, open, "dee").await, Err(StoreError::Taken)));
    assert_eq!(class::student(&w.db, open, dee).await.expect("there").name, "Dee");
    let more: Vec<String> = (1..roster::MOST_STUDENTS).map(|n| format!("Name {n}")).collect();
    class::take_in(&w.db, w.orla, open, &more).await.expect("kept");
    assert!(matches!(class::join(&w.db, open, "Zed").await, Err(StoreError::Full)));
    // Nobody gives somebody else's ladder, and no class is left over from it.
    let before = class::of_teacher(&w.db, w.other).await.expect("classes").len();
    let theirs = NewAssignment { to: To::Link(7), ..w.to_give(w.class) };
    assert!(is_gone(assignment::create(&w.db, w.other, theirs).await));
    assert_eq!(class::of_teacher(&w.db, w.other).await.expect("classes").len(), before);
}

#[tokio::test]
async fn an_assignment_for_one_student_is_nobody_elses() {
    let w = world().await;
    let [ada, bo, _] = w.students[..] else { panic!("three students") };
    let new = NewAssignment { to: To::Student(w.class, ada), ..w.to_give(w.class) };
    let id = assignment::create(&w.db, w.orla, new).await.expect("given");
    let given = assignment::find(&w.db, w.orla, id).await.expect("there");
    assert!(given.is_for(ada) && !given.is_for(bo));
    assert!(assignment::desk(&w.db, &given, ada).await.is_ok());
    assert!(is_gone(assignment::desk(&w.db, &given, bo).await));
    let work = assignment::work(&w.db, w.orla, id).await.expect("work");
    assert_eq!(work.iter().map(|one| one.student).collect::<Vec<_>>(), [ada]);
    let to = To::Student(w.class, StudentId(9_999));
    let nobody = NewAssignment { to, ..w.to_give(w.class) };
    assert!(is_gone(assignment::create(&w.db, w.orla, nobody).await));
}

#[tokio::test]
async fn a_ladder_is_given_as_the_class_is_taught_and_a_new_one_is_kept_with_it() {
    let w = world().await;
    let kept = ladder::find(&w.db, w.orla, w.ladder).await.expect("a ladder");
    let mut taught = kept.ladder.clone();
    taught.rungs[0].prompt = "As the class is taught".into();
    let given = Given::Kept(w.ladder, Some(&taught));
    let id = assignment::create(&w.db, w.orla, NewAssignment { given, ..w.to_give(w.class) }).await;
    let given = assignment::find(&w.db, w.orla, id.expect("given")).await.expect("there");
    let (_, opened) = assignment::by_link(&w.db, &given.link).await.expect("it opens");
    assert_eq!(opened.ladder, taught);
    assert_eq!(ladder::find(&w.db, w.orla, w.ladder).await.expect("a ladder"), kept);

    let plan = lesson::bench::Plan::new(skills::LadderOrder::default());
    let before = ladder::of_teacher(&w.db, w.orla, "", None).await.expect("ladders").entries.len();
    let new = Given::New("Next for 7b", &kept.ladder, &plan);
    let id = assignment::create(&w.db, w.orla, NewAssignment { given: new, ..w.to_give(w.class) });
    let given = assignment::find(&w.db, w.orla, id.await.expect("given")).await.expect("there");
    assert_eq!(given.title, "Next for 7b");
    let after = ladder::of_teacher(&w.db, w.orla, "", None).await.expect("ladders").entries;
    assert_eq!((after.len(), after[0].lesson), (before + 1, None));
    // Where the class is not theirs, the ladder is not kept either.
    let refused =
        assignment::create(&w.db, w.other, NewAssignment { given: new, ..w.to_give(w.class) })
            .await;
    assert!(is_gone(refused));
    let theirs = ladder::of_teacher(&w.db, w.other, "", None).await.expect("ladders").entries;
    assert_eq!(theirs, []);
}

#[tokio::test]
async fn what_came_back_is_told_in_the_order_in_which_it_was_given() {
    let w = world().await;
    let [ada, bo, _] = w.students[..] else { panic!("three students") };
    let (first, second) = (w.given().await, w.given().await);
    w.write(&first, ada, 1, "x = 1").await;
    w.write(&first, ada, 2, "x = 2").await;
    assignment::desk(&w.db, &second, bo).await.expect("opened, and nothing written");
    let desk = assignment::desk(&w.db, &first, ada).await.expect("a desk");
    assignment::hand_in(&w.db, desk, 77).await.expect("handed in");
    let back = assignment::came_back(&w.db, w.orla, w.class, 40).await.expect("theirs");
    assert_eq!(back.iter().map(|one| one.assignment.id).collect::<Vec<_>>(), [first.id, second.id]);
    let (student, progress, written) = &back[0].desks[0];
    assert_eq!((*student, progress.handed_in), (ada, Some(77)));
    assert_eq!(written.iter().map(|one| one.rung).collect::<Vec<_>>(), [1, 2]);
    assert_eq!((back[1].desks[0].0, back[1].desks[0].2.len()), (bo, 0));
    let latest = assignment::came_back(&w.db, w.orla, w.class, 1).await.expect("theirs");
    assert_eq!(latest[0].assignment.id, second.id);
    assert!(is_gone(assignment::came_back(&w.db, w.other, w.class, 40).await));
}
