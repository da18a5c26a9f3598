//! The events of live lessons: numbered without a gap whoever writes them, kept once, and gone with their class.

use crate::kept::a_lesson;
use live::taught::Event;
use store::live::{NewEvent, OpenTo, append, begin, by_code, find, last, remove, since};
use store::{ClassId, Db, LiveId, StoreError, StudentId, TeacherId, class, lesson, teacher};

struct World {
    db: Db,
    orla: TeacherId,
    other: TeacherId,
    class: ClassId,
    live: LiveId,
    students: Vec<StudentId>,
}

async fn world() -> World {
    let db = scratch::scratch().await.expect("a database").db;
    let orla = teacher::create(&db, "orla", "Orla Fenwick", "-").await.expect("kept");
    let other = teacher::create(&db, "other", "Somebody Else", "-").await.expect("kept");
    let class = class::create(&db, orla, "7b", 7).await.expect("kept");
    let names = ["Ada", "Bo"].map(str::to_owned);
    class::take_in(&db, orla, class, &names).await.expect("kept");
    let students = class::students(&db, orla, class).await.expect("students");
    let students = students.into_iter().map(|one| one.id).collect();
    let taught = a_lesson("Proportions");
    let id = lesson::create(&db, orla, taught.clone()).await.expect("kept");
    let to = OpenTo::Class(class);
    let live = begin(&db, orla, (id, &taught), to, 1_000).await.expect("open");
    assert_eq!(begin(&db, orla, (id, &taught), to, 2_000).await.expect("open"), live);
    assert!(matches!(begin(&db, other, (id, &taught), to, 1).await, Err(StoreError::NotFound)));
    World { db, orla, other, class, live, students }
}

fn hand(student: StudentId, token: &str) -> NewEvent {
    let event = Event::Hand { up: true };
    NewEvent { student: Some(student), token: Some(token.into()), event }
}

#[tokio::test]
async fn events_are_numbered_without_a_gap_and_kept_once() {
    let w = world().await;
    let [ada, bo] = w.students[..] else { panic!("two students") };
    let first = [hand(ada, "a"), hand(bo, "a"), hand(ada, "a")];
    let numbers = append(&w.db, w.live, &first, 2_000);
    assert_eq!(numbers.await.expect("kept"), [2, 3, 2], "the same of another student is another");
    let again = append(&w.db, w.live, &[hand(bo, "a"), hand(bo, "b")], 3_000).await;
    assert_eq!(again.expect("kept"), [3, 4]);
    assert_eq!(append(&w.db, w.live, &[hand(bo, "b")], 3_000).await.expect("kept"), [4]);
    assert_eq!(last(&w.db, w.live).await.expect("there"), 4);
    let events = since(&w.db, w.live, 0).await.expect("events");
    assert_eq!(events.iter().map(|one| one.seq).collect::<Vec<_>>(), [1, 2, 3, 4]);
    assert_eq!(since(&w.db, w.live, 3).await.expect("events").len(), 1);
    // Many writers at once: no number is left out, and none is taken twice.
    let writers = (0..8).map(|writer| {
        let (db, live) = (w.db.clone(), w.live);
        tokio::spawn(async move {
            for n in 0..10 {
                let event = hand(ada, &format!("writer{writer}n{n}"));
                append(&db, live, &[event], 4_000).await.expect("kept");
            }
        })
    });
    for writer in writers.collect::<Vec<_>>() {
        writer.await.expect("done");
    }
    let events = since(&w.db, w.live, 0).await.expect("events");
    let numbers: Vec<u64> = events.iter().map(|one| one.seq).collect();
    assert_eq!(numbers, (1..=84).collect::<Vec<_>>());
}

#[tokio::test]
async fn a_live_lesson_ends_and_is_its_teachers_own() {
    let w = world().await;
    let open = find(&w.db, w.orla, w.live).await.expect("theirs");
    let code = open.code.expect("a code");
    assert_eq!(by_code(&w.db, &code.to_uppercase()).await.expect("open").id, w.live);
    assert!(matches!(find(&w.db, w.other, w.live).await, Err(StoreError::NotFound)));
    assert!(matches!(remove(&w.db, w.other, w.live).await, Err(StoreError::NotFound)));
    let end = NewEvent { student: None, token: None, event: Event::Ended };
    append(&w.db, w.live, std::slice::from_ref(&end), 9_000).await.expect("kept");
    let ended = find(&w.db, w.orla, w.live).await.expect("theirs");
    assert_eq!((ended.code, ended.ended), (None, Some(9_000)));
    assert!(matches!(by_code(&w.db, &code).await, Err(StoreError::NotFound)));
    assert!(matches!(append(&w.db, w.live, &[end], 9_000).await, Err(StoreError::NotFound)));
    assert_eq!(
        store::live::of_teacher(&w.db, w.orla, Some(w.class), None).await.expect("one").len(),
        1
    );
    class::remove(&w.db, w.orla, w.class).await.expect("gone");
    assert!(matches!(last(&w.db, w.live).await, Err(StoreError::NotFound)));
}

#[tokio::test]
async fn what_a_student_did_goes_with_them_and_is_kept_no_longer_than_the_class_keeps_it() {
    let w = world().await;
    let [ada, bo] = w.students[..] else { panic!("two students") };
    append(&w.db, w.live, &[hand(ada, "a"), hand(bo, "b")], 2_000).await.expect("kept");
    let stored = class::stored_of(&w.db, w.orla, w.class, ada).await.expect("theirs");
    assert_eq!(stored["live"].as_array().map(Vec::len), Some(1));
    class::remove_student(&w.db, w.orla, w.class, ada).await.expect("gone");
    let left = since(&w.db, w.live, 0).await.expect("events");
    assert_eq!(left.iter().filter_map(|one| one.student).collect::<Vec<_>>(), [bo.0]);
    // It was long ago.
    assert!(class::sweep(&w.db).await.expect("swept") >= 1);
    let left = since(&w.db, w.live, 0).await.expect("events");
    assert!(left.iter().all(|one| one.student.is_none()) && !left.is_empty());
}
