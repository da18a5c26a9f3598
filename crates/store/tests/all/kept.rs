//! What is called saved is kept, stale saves change nothing, and nobody sees what is not theirs.

use ::desk::{DeskLine, judge};
use ::lesson::bench::{Change, Plan, change};
use ::lesson::blocks::{ImageBlock, LadderBlock, TalkBlock};
use ::lesson::{Block, Lesson};
use skills::ladder::{Ladder, LadderOrder};
use store::lesson::{New, NewImage, NewLadder, Place};
use store::{
    ImageId, LadderId, LessonId, StoreError, TeacherId, bench, desk, image, ladder, lesson, page,
    scenario, session, teacher,
};
use teaching::scenario::{OwnScenario as Scenario, OwnThing};
use teaching::skill::Strand;

struct World {
    db: store::Db,
    url: String,
    orla: TeacherId,
    other: TeacherId,
    lesson: LessonId,
}

async fn world() -> World {
    let scratch::Scratch { db, url } = scratch::scratch().await.expect("a database");
    let orla = teacher::create(&db, "orla", "Orla Fenwick", "-").await.expect("kept");
    let other = teacher::create(&db, "other", "Somebody Else", "-").await.expect("kept");
    let lesson = lesson::create(&db, orla, a_lesson("Proportions")).await.expect("kept");
    World { db, url, orla, other, lesson }
}

pub fn a_lesson(topic: &str) -> Lesson {
    Lesson::new(topic, 6, Strand::FractionsRatio, 45).expect("fine")
}

fn an_order() -> LadderOrder {
    let skills = vec!["equations.linear".to_owned()];
    LadderOrder {
        skills,
        grip: 2,
        tilt: 0,
        climb: 1,
        seed: 5,
        method: None,
        ..LadderOrder::default()
    }
}

pub fn a_ladder() -> Ladder {
    Ladder::make(&an_order()).expect("made")
}

/// A new lesson of a teacher, with a ladder on it.
pub async fn a_lesson_with_a_ladder(db: &store::Db, owner: TeacherId) -> LessonId {
    let id = lesson::create(db, owner, a_lesson("Proportions")).await.expect("kept");
    ladder::create(db, owner, id, "Climb", &a_ladder(), None).await.expect("kept");
    id
}

#[tokio::test]
async fn a_lesson_comes_back_as_it_was_kept() {
    let w = world().await;
    let mut changed = a_lesson("½ of the honey — für alle 🐝");
    assert_eq!(lesson::save(&w.db, w.orla, w.lesson, 1, &changed).await.expect("saved"), 2);
    // Another connection, as after a restart.
    let again = store::connect(&w.url).await.expect("a second start finds its tables");
    let found = lesson::find(&again, w.orla, w.lesson).await.expect("there");
    assert_eq!((found.revision, &found.lesson), (2, &changed));
    changed.grade = 11;
    lesson::save(&w.db, w.orla, w.lesson, 2, &changed).await.expect("saved");
    lesson::create(&w.db, w.orla, a_lesson("First")).await.expect("kept");
    let shelf = lesson::shelf(&w.db, w.orla, Place::Shelf, "", None).await.expect("a shelf");
    let titles: Vec<_> = shelf.entries.iter().map(|on| on.title.as_str()).collect();
    assert_eq!(titles, ["First", changed.title.as_str()], "by grade");
}

#[tokio::test]
async fn a_stale_save_changes_nothing() {
    let w = world().await;
    let (first, second) = (a_lesson("First"), a_lesson("Second"));
    lesson::save(&w.db, w.orla, w.lesson, 1, &first).await.expect("saved");
    let stale = lesson::save(&w.db, w.orla, w.lesson, 1, &second).await;
    assert!(matches!(stale, Err(StoreError::Stale { revision: 2 })), "{stale:?}");
    assert_eq!(lesson::find(&w.db, w.orla, w.lesson).await.expect("there").lesson, first);
}

#[tokio::test]
async fn of_two_saves_at_once_one_is_told_so() {
    let w = world().await;
    let (one, two) = (a_lesson("One"), a_lesson("Two"));
    let (a, b) = tokio::join!(
        lesson::save(&w.db, w.orla, w.lesson, 1, &one),
        lesson::save(&w.db, w.orla, w.lesson, 1, &two)
    );
    assert!(a.is_ok() != b.is_ok(), "{a:?} {b:?}");
}

#[tokio::test]
async fn nobody_finds_what_is_not_theirs() {
    let w = world().await;
    let id =
        ladder::create(&w.db, w.orla, w.lesson, "Ladder", &a_ladder(), None).await.expect("kept");
    let db = &w.db;
    let gone = |found: Result<(), StoreError>| assert!(matches!(found, Err(StoreError::NotFound)));
    gone(lesson::find(db, w.other, w.lesson).await.map(drop));
    gone(lesson::save(db, w.other, w.lesson, 1, &a_lesson("Mine")).await.map(drop));
    gone(ladder::find(db, w.other, id).await.map(drop));
    gone(ladder::create(db, w.other, w.lesson, "Mine", &a_ladder(), None).await.map(drop));
    gone(ladder::by_link(db, "no such link").await.map(drop));
    assert!(
        lesson::shelf(db, w.other, Place::Shelf, "", None)
            .await
            .expect("a shelf")
            .entries
            .is_empty()
    );
    assert!(ladder::of_lesson(db, w.other, w.lesson).await.expect("none").is_empty());
    desk::join(db, id, "Hana").await.expect("joined");
    let theirs = desk::of_ladder(db, w.other, id, None).await;
    assert!(matches!(theirs, Err(StoreError::NotFound)), "{theirs:?}");
    let theirs = ladder::hung(db, w.other, w.lesson).await;
    assert!(matches!(theirs, Err(StoreError::NotFound)), "{theirs:?}");
}

#[tokio::test]
async fn a_ladder_is_kept_as_it_was_posed() {
    let w = world().await;
    let posed = a_ladder();
    let id = ladder::create(&w.db, w.orla, w.lesson, "Climb", &posed, None).await.expect("kept");
    let found = ladder::find(&w.db, w.orla, id).await.expect("there");
    assert_eq!((&found.ladder, found.title.as_str()), (&posed, "Climb"));
    assert_eq!(ladder::by_link(&w.db, &found.link).await.expect("there"), found);
    let shouted = found.link.to_uppercase();
    assert!(ladder::by_link(&w.db, &shouted).await.is_err(), "a link is its exact letters");
    assert_eq!(
        lesson::shelf(&w.db, w.orla, Place::Shelf, "", None).await.expect("a shelf").entries[0]
            .ladders,
        1
    );
}

fn a_plan(seed: u64) -> Plan {
    let order = LadderOrder { seed, ..an_order() };
    change(&Plan::new(order.clone()), &Change::Draw { order }).expect("drawn")
}

#[tokio::test]
async fn a_draft_is_kept_until_its_ladder_hangs() {
    let w = world().await;
    assert_eq!(bench::find(&w.db, w.orla, w.lesson).await.expect("theirs"), None);
    let (first, second) = (a_plan(4), a_plan(5));
    assert_eq!(bench::save(&w.db, w.orla, w.lesson, 0, &first).await.expect("kept"), 1);
    assert_eq!(bench::save(&w.db, w.orla, w.lesson, 1, &second).await.expect("kept"), 2);
    let kept = bench::find(&w.db, w.orla, w.lesson).await.expect("theirs").expect("kept");
    assert_eq!((kept.revision, &kept.plan), (2, &second));
    // Two windows on one bench: the second to save is told, and nothing is lost.
    let stale = bench::save(&w.db, w.orla, w.lesson, 1, &first).await;
    assert!(matches!(stale, Err(StoreError::Stale { revision: 2 })), "{stale:?}");
    // The same draft once more is the same save, whose answer was lost on the way.
    assert_eq!(bench::save(&w.db, w.orla, w.lesson, 1, &second).await.expect("known"), 2);
    let made = second.ladder().expect("proved");
    let id = ladder::create(&w.db, w.orla, w.lesson, "Climb", &made, Some(&second)).await;
    let hung = ladder::find(&w.db, w.orla, id.expect("kept")).await.expect("there");
    assert_eq!((hung.ladder, hung.plan), (made, Some(second)));
    assert_eq!(bench::find(&w.db, w.orla, w.lesson).await.expect("theirs"), None);
}

#[tokio::test]
async fn a_bench_is_its_teachers_alone() {
    let w = world().await;
    let plan = a_plan(4);
    let found = bench::find(&w.db, w.other, w.lesson).await;
    assert!(matches!(found, Err(StoreError::NotFound)), "{found:?}");
    let saved = bench::save(&w.db, w.other, w.lesson, 0, &plan).await;
    assert!(matches!(saved, Err(StoreError::NotFound)), "{saved:?}");
}

#[tokio::test]
async fn what_a_student_wrote_is_kept_rung_by_rung() {
    let w = world().await;
    let posed = a_ladder();
    let id = ladder::create(&w.db, w.orla, w.lesson, "Climb", &posed, None).await.expect("kept");
    let hana = desk::join(&w.db, id, "Hana").await.expect("joined");
    let leo = desk::join(&w.db, id, "Leo").await.expect("joined");
    let lines = vec![DeskLine { text: "x = 4".into(), latex: false }];
    let written = |rung: u16, lines: &[DeskLine]| desk::Written {
        rung,
        revision: 1,
        lines: lines.to_vec(),
        answer: None,
        judgement: judge(&posed.rungs[usize::from(rung) - 1], lines),
    };
    let first = written(1, &lines);
    assert_eq!(desk::save(&w.db, hana, 0, &first).await.expect("saved"), 1);
    // The same lines once more are the same save, whose answer was lost on the way; other lines are late.
    assert_eq!(desk::save(&w.db, hana, 0, &first).await.expect("known"), 1);
    let late = desk::save(&w.db, hana, 0, &written(1, &[])).await;
    assert!(matches!(late, Err(StoreError::Stale { revision: 1 })), "{late:?}");
    assert_eq!(desk::save(&w.db, hana, 1, &written(1, &[])).await.expect("saved"), 2);
    assert_eq!(desk::save(&w.db, leo, 0, &written(3, &lines)).await.expect("saved"), 1);
    let all = desk::of_ladder(&w.db, w.orla, id, None).await.expect("desks").entries;
    let seen: Vec<_> = all
        .iter()
        .map(|d| (d.student.as_str(), d.written[0].rung, d.written[0].revision))
        .collect();
    assert_eq!(seen, [("Hana", 1, 2), ("Leo", 3, 1)]);
    assert_eq!(desk::find(&w.db, id, leo).await.expect("there").written[0].lines, lines);
    assert!(
        desk::find(&w.db, LadderId(id.0 + 1), leo).await.is_err(),
        "a desk belongs to its ladder"
    );
}

#[tokio::test]
async fn a_session_ends_when_it_says() {
    let w = world().await;
    session::save(&w.db, [7; 16], "{\"a\":1}", None, 100).await.expect("kept");
    session::save(&w.db, [7; 16], "{\"a\":2}", None, 200).await.expect("kept");
    let load = |now| session::load(&w.db, [7; 16], now);
    assert_eq!(load(199).await.expect("read"), Some(("{\"a\":2}".into(), 200)));
    assert_eq!(load(200).await.expect("read"), None);
    assert_eq!(session::sweep(&w.db, 200).await.expect("swept"), 1);
    session::save(&w.db, [8; 16], "{}", None, 900).await.expect("kept");
    session::delete(&w.db, [8; 16]).await.expect("ended");
    assert_eq!(session::load(&w.db, [8; 16], 0).await.expect("read"), None);
}

#[tokio::test]
async fn two_teachers_cannot_sign_in_by_one_name() {
    let w = world().await;
    assert!(!teacher::none_yet(&w.db).await.expect("read"));
    assert!(teacher::create(&w.db, "orla", "A Twin", "-").await.is_err());
    assert_eq!(teacher::by_sign_in(&w.db, "orla").await.expect("there").id, w.orla);
    assert!(matches!(teacher::by_sign_in(&w.db, "nobody").await, Err(StoreError::NotFound)));
    assert_eq!(teacher::find(&w.db, w.other).await.expect("there").name, "Somebody Else");
}

fn a_scenario(title: &str) -> Scenario {
    let trays = OwnThing {
        one: "tray".into(),
        many: "trays".into(),
        of: String::new(),
        least: 2,
        most: 90,
    };
    Scenario {
        title: title.into(),
        people: vec!["Ada".into(), "Noor".into()],
        place: "the school kitchen".into(),
        things: vec![trays],
    }
}

#[tokio::test]
async fn a_scenario_is_kept_changed_and_taken_away_by_its_teacher_alone() {
    let world = world().await;
    let (db, orla, other) = (&world.db, world.orla, world.other);
    let id = scenario::create(db, orla, &a_scenario("The kitchen")).await.expect("kept");
    let kept = scenario::all(db, orla).await.expect("listed");
    assert_eq!((kept.len(), kept[0].id, kept[0].revision), (1, id, 1));
    assert_eq!(kept[0].world, a_scenario("The kitchen"));
    assert!(scenario::all(db, other).await.expect("listed").is_empty());

    let changed = a_scenario("The canteen");
    assert!(matches!(scenario::save(db, other, id, 1, &changed).await, Err(StoreError::NotFound)));
    assert_eq!(scenario::save(db, orla, id, 1, &changed).await.expect("saved"), 2);
    // A save that is based on what stood there before is told so, and changes nothing.
    let stale = scenario::save(db, orla, id, 1, &a_scenario("The cellar")).await;
    assert!(matches!(stale, Err(StoreError::Stale { revision: 2 })));
    assert_eq!(scenario::all(db, orla).await.expect("listed")[0].world, changed);

    assert!(matches!(scenario::remove(db, other, id).await, Err(StoreError::NotFound)));
    scenario::remove(db, orla, id).await.expect("taken away");
    assert!(scenario::all(db, orla).await.expect("listed").is_empty());
}

#[tokio::test]
async fn a_stretch_of_work_is_one_version_and_any_one_comes_back() {
    let w = world().await;
    for (based_on, topic) in [(1, "One"), (2, "Two"), (3, "Three")] {
        lesson::save(&w.db, w.orla, w.lesson, based_on, &a_lesson(topic)).await.expect("saved");
    }
    let versions = || async {
        let all = lesson::history::of_lesson(&w.db, w.orla, w.lesson).await.expect("versions");
        all.into_iter().map(|version| (version.revision, version.teacher)).collect::<Vec<_>>()
    };
    let orla = |revision| (revision, "Orla Fenwick".to_owned());
    assert_eq!(versions().await, [orla(4), orla(1)], "three saves in a row are one stretch");

    let first = lesson::history::find(&w.db, w.orla, w.lesson, 1).await.expect("kept");
    assert_eq!(first, a_lesson("Proportions"));
    let now = lesson::restore(&w.db, w.orla, w.lesson, 4, 1).await.expect("restored");
    assert_eq!((now.revision, &now.lesson), (5, &first));
    assert_eq!(lesson::find(&w.db, w.orla, w.lesson).await.expect("there").lesson, first);
    assert_eq!(versions().await, [orla(5), orla(4), orla(1)], "what stood there is kept");
    let three = lesson::history::find(&w.db, w.orla, w.lesson, 4).await.expect("kept");
    assert_eq!(three, a_lesson("Three"));

    let stale = lesson::restore(&w.db, w.orla, w.lesson, 4, 1).await;
    assert!(matches!(stale, Err(StoreError::Stale { revision: 5 })), "{stale:?}");
    let missing = lesson::history::find(&w.db, w.orla, w.lesson, 77).await;
    assert!(matches!(missing, Err(StoreError::NotFound)), "{missing:?}");
    for result in [
        lesson::history::of_lesson(&w.db, w.other, w.lesson).await.map(drop),
        lesson::history::find(&w.db, w.other, w.lesson, 1).await.map(drop),
        lesson::restore(&w.db, w.other, w.lesson, 5, 1).await.map(drop),
        lesson::put(&w.db, w.other, w.lesson, Place::Bin).await,
    ] {
        assert!(matches!(result, Err(StoreError::NotFound)), "{result:?}");
    }
}

#[tokio::test]
async fn a_lesson_stands_in_one_place_at_a_time() {
    let w = world().await;
    for place in [Place::Archive, Place::Bin, Place::Shelf] {
        lesson::put(&w.db, w.orla, w.lesson, place).await.expect("put");
        for other in [Place::Archive, Place::Bin, Place::Shelf] {
            let found = lesson::shelf(&w.db, w.orla, other, "", None).await.expect("a shelf");
            assert_eq!(found.entries.len(), usize::from(other == place), "{place:?} and {other:?}");
        }
    }
}

#[tokio::test]
async fn a_lesson_comes_with_its_images_and_ladders_or_not_at_all() {
    let w = world().await;
    let mut whole = a_lesson("Whole");
    let image =
        |image| Block::Image(ImageBlock { image, alt: "Bees".into(), caption: String::new() });
    let ladder = |ladder| Block::Ladder(LadderBlock { ladder, title: "Whole".into() });
    // The numbers by which its file names them cross each other on purpose.
    whole.slides[0].blocks = vec![image(1), image(2), ladder(0), ladder(7)];
    let new = |named, bytes: &[u8]| NewImage { named, kind: "png".into(), bytes: bytes.to_vec() };
    let hung = |named| NewLadder { named, title: "Whole".into(), ladder: a_ladder(), plan: None };
    let id = lesson::create(
        &w.db,
        w.orla,
        New {
            lesson: whole,
            images: vec![new(2, b"two"), new(1, b"one")],
            ladders: vec![hung(7), hung(0)],
            came_from: None,
        },
    )
    .await
    .expect("kept");
    let kept = lesson::find(&w.db, w.orla, id).await.expect("there");
    assert_eq!(kept.revision, 1);
    let first = lesson::history::find(&w.db, w.orla, id, 1).await.expect("kept");
    assert_eq!(first, kept.lesson, "what it goes back to is whole, too");
    let [
        Block::Image(ImageBlock { image: one, .. }),
        Block::Image(ImageBlock { image: two, .. }),
        ladders @ ..,
    ] = &kept.lesson.slides[0].blocks[..]
    else {
        panic!("two images")
    };
    for (id, bytes) in [(one, &b"one"[..]), (two, b"two")] {
        let found = image::find(&w.db, w.orla, ImageId(*id)).await.expect("there");
        assert_eq!(found.1, bytes);
    }
    let mut named: Vec<u64> = ladders
        .iter()
        .map(|block| match block {
            Block::Ladder(LadderBlock { ladder, .. }) => *ladder,
            other => panic!("{other:?}"),
        })
        .collect();
    named.sort_unstable();
    let hanging = ladder::hung(&w.db, w.orla, id).await.expect("ladders");
    assert_eq!(hanging.iter().map(|one| one.id.0).collect::<Vec<_>>(), named);
    assert_eq!(hanging.iter().map(|one| one.rungs).collect::<Vec<_>>(), [3, 3]);

    // One ladder too many: nothing of it stays.
    let many = (0..=ladder::MOST_LADDERS).map(|_| hung(0)).collect();
    let images = vec![new(1, b"one")];
    let new = New { lesson: a_lesson("Full"), images, ladders: many, came_from: None };
    let refused = lesson::create(&w.db, w.orla, new).await;
    assert!(matches!(refused, Err(StoreError::Full)), "{refused:?}");
    let shelf = lesson::shelf(&w.db, w.orla, Place::Shelf, "full", None).await.expect("a shelf");
    assert!(shelf.entries.is_empty());
    assert!(image::find(&w.db, w.orla, ImageId(one.max(two) + 1)).await.is_err());
}

#[tokio::test]
async fn a_shelf_is_read_page_by_page_each_lesson_once() {
    let w = world().await;
    let made = 2 * page::MOST + 17;
    for number in 0..made {
        let mut lesson = a_lesson(&format!("Lesson {number}"));
        lesson.grade = u8::try_from(number % 5).expect("small");
        lesson::create(&w.db, w.orla, lesson).await.expect("kept");
    }
    let (mut after, mut seen, mut pages) = (None, Vec::new(), 0);
    loop {
        let page = lesson::shelf(&w.db, w.orla, Place::Shelf, "lesson", after.as_deref()).await;
        let page = page.expect("a page");
        seen.extend(page.entries.iter().map(|on| (on.grade, on.id)));
        pages += 1;
        after = page.next;
        if after.is_none() {
            break;
        }
    }
    let different: std::collections::BTreeSet<_> = seen.iter().collect();
    assert_eq!((seen.len(), different.len(), pages), (made as usize, made as usize, 3));
    assert!(seen.windows(2).all(|pair| pair[0].0 <= pair[1].0), "by grade");
    let refused = lesson::shelf(&w.db, w.orla, Place::Shelf, "", Some("6' OR 1")).await;
    assert!(matches!(refused, Err(StoreError::NoSuchPage)), "{refused:?}");
}

#[tokio::test]
#[rustfmt::skip]
async fn a_lesson_is_found_by_all_of_the_words() {
    let w = world().await;
    let mut lesson = a_lesson("Ratio");
    let talk = Block::Talk(TalkBlock { prompt: "Which MIX is sweeter: 100%_pure?".into(), starters: Vec::new() });
    lesson.slides[0].blocks.push(talk);
    lesson::create(&w.db, w.orla, lesson).await.expect("kept");
    for (words, found) in [
        ("", 2), ("ratio", 1), ("SWEETER mix", 1), ("sweeter zebra", 0), ("100%_pure", 1), ("10%pure", 0),
        ("\"", 0), ("\\", 0), ("proportions", 1),
    ] {
        let shelf = lesson::shelf(&w.db, w.orla, Place::Shelf, words, None).await.expect("a shelf");
        assert_eq!(shelf.entries.len(), found, "{words}");
    }
}

#[tokio::test]
async fn what_was_kept_before_there_were_summaries_gets_them_at_the_next_start() {
    let w = world().await;
    let id = ladder::create(&w.db, w.orla, w.lesson, "Ratio", &a_ladder(), None).await;
    id.expect("hung");
    let whole = |db: store::Db| async move {
        let shelf = lesson::shelf(&db, w.orla, Place::Shelf, "", None).await.expect("a shelf");
        let ladders = ladder::of_teacher(&db, w.orla, "linear", None).await.expect("ladders");
        (shelf, ladders)
    };
    let before = whole(w.db.clone()).await;
    assert_eq!((before.0.entries[0].slides, before.1.entries[0].rungs), (1, 3));
    for sql in [
        "UPDATE lesson SET words = NULL, minutes = 0, slides = 0, updated_at = updated_at",
        "UPDATE ladder SET words = NULL, rungs = 0, skills = NULL",
    ] {
        sqlx::query(sql).execute(&w.db).await.expect("as it was before");
    }
    assert_eq!(whole(w.db.clone()).await.0.entries[0].slides, 0);
    let again = store::connect(&w.url).await.expect("a second start");
    assert_eq!(whole(again).await, before);
}
