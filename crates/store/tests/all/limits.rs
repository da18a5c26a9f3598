//! Rooms that fill, links that nobody guesses, many at once.

use ::desk::{DeskLine, judge};
use ::lesson::Lesson;
use skills::ladder::{Ladder, LadderOrder};
use std::collections::BTreeSet;
use store::lesson::Place;
use store::{StoreError, desk, ladder, lesson, page, session, teacher};
use teaching::skill::Strand;

fn a_ladder() -> Ladder {
    let skills = vec!["ratio.missing-term".to_owned()];
    let order = LadderOrder {
        skills,
        grip: 3,
        tilt: 0,
        climb: 0,
        seed: 5,
        method: None,
        ..LadderOrder::default()
    };
    Ladder::make(&order).expect("made")
}

fn a_lesson(topic: &str, grade: u8) -> Lesson {
    Lesson::new(topic, grade, Strand::Number, 45).expect("fine")
}

#[test]
fn links_are_long_their_own_and_easy_to_read_out() {
    let links: BTreeSet<String> = (0..2_000).map(|_| store::link()).collect();
    assert_eq!(links.len(), 2_000);
    for link in &links {
        assert_eq!(link.len(), 26);
        assert!(link.chars().all(|c| c.is_ascii_lowercase() || c.is_ascii_digit()), "{link}");
        assert!(!link.contains(['l', 'o', '0', '1']), "{link} is hard to read out");
    }
    let signs: BTreeSet<char> = links.iter().flat_map(|link| link.chars()).collect();
    assert_eq!(signs.len(), 32, "every sign is used");
}

#[tokio::test]
async fn a_lesson_has_room_for_so_many_ladders() {
    let db = scratch::scratch().await.expect("a database").db;
    let orla = teacher::create(&db, "orla", "Orla Fenwick", "-").await.expect("kept");
    let id = lesson::create(&db, orla, a_lesson("Ratio", 6)).await.expect("kept");
    let posed = a_ladder();
    for at in 0..ladder::MOST_LADDERS {
        ladder::create(&db, orla, id, &format!("Ladder {at}"), &posed, None).await.expect("room");
    }
    let full = ladder::create(&db, orla, id, "One too many", &posed, None).await;
    assert!(matches!(full, Err(StoreError::Full)), "{full:?}");
    let all = ladder::of_lesson(&db, orla, id).await.expect("ladders");
    assert_eq!(i64::try_from(all.len()).expect("few"), ladder::MOST_LADDERS);
    assert!(all.windows(2).all(|pair| pair[0].id < pair[1].id), "in the order they were made");
}

#[tokio::test]
async fn a_ladder_has_room_for_so_many_desks() {
    let db = scratch::scratch().await.expect("a database").db;
    let orla = teacher::create(&db, "orla", "Orla Fenwick", "-").await.expect("kept");
    let id = lesson::create(&db, orla, a_lesson("Ratio", 6)).await.expect("kept");
    let id = ladder::create(&db, orla, id, "Ladder", &a_ladder(), None).await.expect("kept");
    for at in 0..desk::MOST_DESKS {
        desk::join(&db, id, &format!("Student {at}")).await.expect("room");
    }
    assert!(matches!(desk::join(&db, id, "Late").await, Err(StoreError::Full)));
    let (mut seen, mut after) = (0, None);
    loop {
        let page = desk::of_ladder(&db, orla, id, after.as_deref()).await.expect("desks");
        assert!(page.entries.len() <= page::MOST as usize);
        seen += page.entries.len();
        after = page.next;
        if after.is_none() {
            break;
        }
    }
    assert_eq!(i64::try_from(seen).expect("few"), desk::MOST_DESKS);
}

#[tokio::test]
async fn a_class_writes_at_once_and_nothing_is_lost() {
    let db = scratch::scratch().await.expect("a database").db;
    let orla = teacher::create(&db, "orla", "Orla Fenwick", "-").await.expect("kept");
    let id = lesson::create(&db, orla, a_lesson("Ratio", 6)).await.expect("kept");
    let posed = a_ladder();
    let id = ladder::create(&db, orla, id, "Ladder", &posed, None).await.expect("kept");
    let mut writing = Vec::new();
    for student in 0..30 {
        let (db, posed) = (db.clone(), posed.clone());
        writing.push(tokio::spawn(async move {
            let desk = desk::join(&db, id, &format!("Student {student}")).await.expect("joined");
            for rung in 1..=3u16 {
                for revision in 0..4 {
                    let text = format!("n = {}", revision + 1);
                    let lines = vec![DeskLine { text, latex: false }];
                    let judgement = judge(&posed.rungs[usize::from(rung) - 1], &lines);
                    let new = desk::Written { rung, revision: 0, lines, answer: None, judgement };
                    let kept = desk::save(&db, desk, revision, &new).await.expect("saved");
                    assert_eq!(kept, revision + 1);
                }
            }
        }));
    }
    for one in writing {
        one.await.expect("written");
    }
    let all = desk::of_ladder(&db, orla, id, None).await.expect("desks").entries;
    assert_eq!(all.len(), 30);
    for desk in &all {
        let seen: Vec<_> = desk.written.iter().map(|w| (w.rung, w.revision)).collect();
        assert_eq!(seen, [(1, 4), (2, 4), (3, 4)], "{}", desk.student);
        assert!(desk.written.iter().all(|w| w.lines[0].text == "n = 4"));
    }
}

#[tokio::test]
async fn of_many_saves_of_one_revision_exactly_one_is_kept() {
    let db = scratch::scratch().await.expect("a database").db;
    let orla = teacher::create(&db, "orla", "Orla Fenwick", "-").await.expect("kept");
    let id = lesson::create(&db, orla, a_lesson("Ratio", 6)).await.expect("kept");
    let mut saving = Vec::new();
    for at in 0..12 {
        let db = db.clone();
        saving.push(tokio::spawn(async move {
            lesson::save(&db, orla, id, 1, &a_lesson(&format!("Version {at}"), 6)).await.is_ok()
        }));
    }
    let mut kept = 0;
    for one in saving {
        kept += usize::from(one.await.expect("answered"));
    }
    assert_eq!(kept, 1);
    assert_eq!(lesson::find(&db, orla, id).await.expect("there").revision, 2);
}

#[tokio::test]
async fn texts_of_every_script_come_back_as_they_were() {
    let db = scratch::scratch().await.expect("a database").db;
    let orla = teacher::create(&db, "orla", "Orla Fenwick", "-").await.expect("kept");
    for topic in
        ["½ × ⅔ ≤ √2", "Śmigło & \"Żuraw\"", "عسل", "蜂蜜", "🐝🍯", "'; DROP TABLE lesson; --"]
    {
        let id = lesson::create(&db, orla, a_lesson(topic, 3)).await.expect("kept");
        assert_eq!(lesson::find(&db, orla, id).await.expect("there").lesson.topic, topic);
    }
    assert_eq!(
        lesson::shelf(&db, orla, Place::Shelf, "", None).await.expect("a shelf").entries.len(),
        6
    );
}

#[tokio::test]
async fn sessions_of_others_stay_when_one_ends() {
    let db = scratch::scratch().await.expect("a database").db;
    for id in 1..=5u8 {
        session::save(&db, [id; 16], "{}", None, 100 + i64::from(id)).await.expect("kept");
    }
    session::delete(&db, [3; 16]).await.expect("ended");
    assert_eq!(
        session::sweep(&db, 102).await.expect("swept"),
        2,
        "those that ended at 101 and 102"
    );
    let mut there = Vec::new();
    for id in 1..=5u8 {
        there.push(session::load(&db, [id; 16], 0).await.expect("read").is_some());
    }
    assert_eq!(there, [false, false, false, true, true]);
}
