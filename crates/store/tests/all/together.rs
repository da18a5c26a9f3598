//! Many at once on one database: nobody overwrites anybody, nothing is counted twice, and lists stay whole while they grow.

use ::desk::{DeskLine, judge};
use ::lesson::Lesson;
use skills::ladder::{Ladder, LadderOrder};
use std::collections::BTreeSet;
use store::lesson::Place;
use store::{Db, LessonId, StoreError, TeacherId, desk, ladder, lesson, teacher};
use teaching::skill::Strand;
use tokio::task::JoinSet;

/// How many act at the same moment.
const MANY: u32 = 12;

async fn somebody(db: &Db) -> TeacherId {
    teacher::create(db, "orla", "Orla Fenwick", "-").await.expect("kept")
}

fn a_lesson(topic: &str) -> Lesson {
    Lesson::new(topic, 6, Strand::Number, 45).expect("fine")
}

fn a_ladder() -> Ladder {
    let skills = vec!["percent.part".to_owned()];
    let order =
        LadderOrder { skills, grip: 2, tilt: 0, climb: 0, seed: 5, ..LadderOrder::default() };
    Ladder::make(&order).expect("made")
}

async fn revision(db: &Db, orla: TeacherId, id: LessonId) -> u32 {
    lesson::find(db, orla, id).await.expect("there").revision
}

#[tokio::test]
async fn of_many_who_save_over_one_revision_one_is_first() {
    let db = scratch::scratch().await.expect("a database").db;
    let orla = somebody(&db).await;
    let id = lesson::create(&db, orla, a_lesson("Ratio")).await.expect("kept");
    let before = revision(&db, orla, id).await;
    let mut all = JoinSet::new();
    for at in 0..MANY {
        let db = db.clone();
        all.spawn(async move {
            let mine = a_lesson(&format!("Ratio {at}"));
            lesson::save(&db, orla, id, before, &mine).await.map(|_| at)
        });
    }
    let mut won = Vec::new();
    for saved in all.join_all().await {
        match saved {
            Ok(at) => won.push(at),
            Err(StoreError::Stale { .. }) => {}
            Err(other) => panic!("{other}"),
        }
    }
    assert_eq!(won.len(), 1, "{won:?}");
    let kept = lesson::find(&db, orla, id).await.expect("there");
    assert_eq!(kept.revision, before + 1);
    assert_eq!(kept.lesson.topic, format!("Ratio {}", won[0]));
}

#[tokio::test]
async fn who_saves_what_stands_now_saves_every_time() {
    let db = scratch::scratch().await.expect("a database").db;
    let orla = somebody(&db).await;
    let id = lesson::create(&db, orla, a_lesson("Ratio")).await.expect("kept");
    let begun = revision(&db, orla, id).await;
    let mut all = JoinSet::new();
    for at in 0..MANY {
        let db = db.clone();
        all.spawn(async move {
            // Again from what stands there, as the page does when it is told that it was late.
            loop {
                let kept = lesson::find(&db, orla, id).await.expect("there");
                let mut mine = kept.lesson;
                mine.minutes += 1;
                // Two who make the same change have both made it.
                mine.objectives = vec![format!("Written by {at}")];
                match lesson::save(&db, orla, id, kept.revision, &mine).await {
                    Ok(_) => return,
                    Err(StoreError::Stale { .. }) => tokio::task::yield_now().await,
                    Err(other) => panic!("{other}"),
                }
            }
        });
    }
    all.join_all().await;
    let kept = lesson::find(&db, orla, id).await.expect("there");
    assert_eq!((kept.revision, u32::from(kept.lesson.minutes)), (begun + MANY, 45 + MANY));
}

#[tokio::test]
async fn who_sits_down_at_the_same_moment_has_a_desk_of_their_own() {
    let db = scratch::scratch().await.expect("a database").db;
    let orla = somebody(&db).await;
    let id = lesson::create(&db, orla, a_lesson("Ratio")).await.expect("kept");
    let ladder = ladder::create(&db, orla, id, "Climb", &a_ladder(), None).await.expect("kept");
    let mut all = JoinSet::new();
    for at in 0..MANY {
        let db = db.clone();
        all.spawn(async move {
            desk::join(&db, ladder, &format!("Student {at}")).await.map(|desk| (desk, at))
        });
    }
    let seats: Vec<_> =
        all.join_all().await.into_iter().map(|seat| seat.expect("a desk")).collect();
    assert_eq!(seats.iter().map(|(desk, _)| desk).collect::<BTreeSet<_>>().len(), seats.len());
    for (seat, at) in seats {
        let found = desk::find(&db, ladder, seat).await.expect("there");
        assert_eq!((found.student, found.written), (format!("Student {at}"), Vec::new()));
    }
}

#[tokio::test]
async fn of_two_windows_on_one_desk_the_later_is_told() {
    let db = scratch::scratch().await.expect("a database").db;
    let orla = somebody(&db).await;
    let id = lesson::create(&db, orla, a_lesson("Ratio")).await.expect("kept");
    let posed = a_ladder();
    let ladder = ladder::create(&db, orla, id, "Climb", &posed, None).await.expect("kept");
    let seat = desk::join(&db, ladder, "Jonas").await.expect("a desk");
    let written = |text: &str| {
        let lines = vec![DeskLine { text: text.to_owned(), latex: false }];
        let judgement = judge(&posed.rungs[0], &lines);
        desk::Written { rung: 1, revision: 0, lines, answer: None, judgement }
    };
    let mut all = JoinSet::new();
    for at in 0..MANY {
        let (db, new) = (db.clone(), written(&format!("{at}")));
        all.spawn(async move { desk::save(&db, seat, 0, &new).await.is_ok() });
    }
    let won = all.join_all().await.into_iter().filter(|saved| *saved).count();
    assert_eq!(won, 1);
}

#[tokio::test]
async fn a_shelf_that_grows_while_it_is_read_shows_nothing_twice_and_loses_nothing() {
    let db = scratch::scratch().await.expect("a database").db;
    let orla = somebody(&db).await;
    let mut first = BTreeSet::new();
    for at in 0..230 {
        first.insert(
            lesson::create(&db, orla, a_lesson(&format!("Before {at}"))).await.expect("kept").0,
        );
    }
    let writer = {
        let db = db.clone();
        tokio::spawn(async move {
            for at in 0..30 {
                lesson::create(&db, orla, a_lesson(&format!("Meanwhile {at}")))
                    .await
                    .expect("kept");
            }
        })
    };
    let mut seen = Vec::new();
    let mut from: Option<String> = None;
    loop {
        let page =
            lesson::shelf(&db, orla, Place::Shelf, "", from.as_deref()).await.expect("a page");
        seen.extend(page.entries.iter().map(|entry| entry.id.0));
        match page.next {
            Some(next) => from = Some(next),
            None => break,
        }
    }
    writer.await.expect("written");
    let once: BTreeSet<u64> = seen.iter().copied().collect();
    assert_eq!(once.len(), seen.len(), "a lesson stands there twice");
    assert!(once.is_superset(&first), "a lesson that was there is missing");
}

#[tokio::test]
async fn a_lesson_that_is_put_away_while_it_is_saved_is_whole_either_way() {
    let db = scratch::scratch().await.expect("a database").db;
    let orla = somebody(&db).await;
    for at in 0..8 {
        let id = lesson::create(&db, orla, a_lesson(&format!("Ratio {at}"))).await.expect("kept");
        let (one, two) = (db.clone(), db.clone());
        let saving =
            tokio::spawn(async move { lesson::save(&one, orla, id, 1, &a_lesson("Saved")).await });
        let moving = tokio::spawn(async move { lesson::put(&two, orla, id, Place::Archive).await });
        let saved = saving.await.expect("ended");
        moving.await.expect("ended").expect("put away");
        let kept = lesson::find(&db, orla, id).await.expect("there");
        let expected = if saved.is_ok() { "Saved".to_owned() } else { format!("Ratio {at}") };
        assert_eq!(kept.lesson.topic, expected);
    }
}
