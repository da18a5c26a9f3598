//! Ladders that stand by themselves, and what is shared: by whom, with whom, until when.

use crate::kept::{a_ladder, a_lesson, a_lesson_with_a_ladder};
use lesson::bench::Plan;
use lesson::blocks::{Block, ImageBlock};
use skills::LadderOrder;
use store::share::{self, ShareKind, Shared};
use store::{
    Db, LessonId, StoreError, TeacherId, bench, image, ladder, lesson as lessons, teacher,
};

struct World {
    db: Db,
    orla: TeacherId,
    bo: TeacherId,
    lesson: LessonId,
}

async fn world() -> World {
    let db = scratch::scratch().await.expect("a database").db;
    let orla = teacher::create(&db, "orla", "Orla Fenwick", "-").await.expect("kept");
    let bo = teacher::create(&db, "bo", "Bo Lindqvist", "-").await.expect("kept");
    let lesson = a_lesson_with_a_ladder(&db, orla).await;
    World { db, orla, bo, lesson }
}

fn is_gone<T: std::fmt::Debug>(found: Result<T, StoreError>) -> bool {
    matches!(found, Err(StoreError::NotFound))
}

impl World {
    async fn share(&self, kind: ShareKind, expires: Option<i64>) -> share::Share {
        let what = Shared::Lesson(self.lesson);
        share::create(&self.db, self.orla, what, kind, false, expires).await.expect("shared")
    }
}

#[tokio::test]
async fn a_ladder_stands_by_itself_and_is_hung_later() {
    let w = world().await;
    let id = ladder::create(&w.db, w.orla, None, "A sheet", &a_ladder(), None).await.expect("kept");
    assert_eq!(ladder::find(&w.db, w.orla, id).await.expect("there").lesson, None);
    let on_shelf = ladder::of_teacher(&w.db, w.orla, "sheet", None).await.expect("a shelf").entries;
    assert_eq!((on_shelf.len(), on_shelf[0].id), (1, id));
    assert!(is_gone(ladder::hang(&w.db, w.bo, id, None).await));
    let theirs = lessons::create(&w.db, w.bo, a_lesson("Elsewhere")).await.expect("kept");
    assert!(is_gone(ladder::hang(&w.db, w.orla, id, Some(theirs)).await));
    ladder::hang(&w.db, w.orla, id, Some(w.lesson)).await.expect("hung");
    let hung = ladder::hung(&w.db, w.orla, w.lesson).await.expect("ladders");
    assert!(hung.iter().any(|one| one.id == id));
    ladder::hang(&w.db, w.orla, id, None).await.expect("taken off");
    assert_eq!(ladder::find(&w.db, w.orla, id).await.expect("there").lesson, None);
    assert!(is_gone(ladder::remove(&w.db, w.bo, id).await));
    ladder::remove(&w.db, w.orla, id).await.expect("gone");
    assert!(is_gone(ladder::find(&w.db, w.orla, id).await));
}

#[tokio::test]
async fn a_ladder_that_is_given_to_a_class_stays() {
    use store::assignment::{self, AssignmentRules, Feedback, Given, NewAssignment, To};
    let w = world().await;
    let id = ladder::create(&w.db, w.orla, None, "A sheet", &a_ladder(), None).await.expect("kept");
    let class = store::class::create(&w.db, w.orla, "7b", 7).await.expect("kept");
    let feedback = Feedback::AtOnce;
    let rules = AssignmentRules {
        due: None,
        hints: 3,
        alone: true,
        feedback,
        staged: false,
        tries: 1,
        fresh: false,
    };
    let new = NewAssignment { to: To::Class(class), given: Given::Kept(id, None), rules };
    let given = assignment::create(&w.db, w.orla, new).await.expect("given");
    assert!(matches!(ladder::remove(&w.db, w.orla, id).await, Err(StoreError::Taken)));
    assignment::remove(&w.db, w.orla, given).await.expect("taken back");
    ladder::remove(&w.db, w.orla, id).await.expect("gone");
}

#[tokio::test]
async fn the_bench_of_the_shelf_is_each_teachers_own() {
    let w = world().await;
    let order = LadderOrder { seed: 3, ..LadderOrder::default() };
    let plan = Plan { title: "Mine".into(), ..Plan::new(order) };
    assert_eq!(bench::find(&w.db, w.orla, None).await.expect("empty"), None);
    assert_eq!(bench::save(&w.db, w.orla, None, 0, &plan).await.expect("kept"), 1);
    assert_eq!(bench::find(&w.db, w.bo, None).await.expect("empty"), None);
    assert_eq!(bench::find(&w.db, w.orla, w.lesson).await.expect("another bench"), None);
    let kept = bench::find(&w.db, w.orla, None).await.expect("kept").expect("a draft");
    assert_eq!((kept.revision, &kept.plan), (1, &plan));
    let other = Plan { title: "Other".into(), ..plan.clone() };
    let stale = bench::save(&w.db, w.orla, None, 0, &other).await;
    assert!(matches!(stale, Err(StoreError::Stale { revision: 1 })), "{stale:?}");
    // The ladder that was made of it clears it, and no other.
    bench::save(&w.db, w.bo, None, 0, &plan).await.expect("kept");
    ladder::create(&w.db, w.orla, None, "Mine", &a_ladder(), Some(&plan)).await.expect("kept");
    assert_eq!(bench::find(&w.db, w.orla, None).await.expect("cleared"), None);
    assert!(bench::find(&w.db, w.bo, None).await.expect("kept").is_some());
}

#[tokio::test]
async fn a_link_opens_until_it_ends() {
    let w = world().await;
    let for_good = w.share(ShareKind::Look, None).await;
    let for_a_while = w.share(ShareKind::Copy, Some(1_000)).await;
    let found = share::by_link(&w.db, &for_good.link, 5_000).await.expect("it opens");
    assert_eq!(found, for_good);
    assert!(share::by_link(&w.db, &for_a_while.link, 999).await.is_ok());
    assert!(is_gone(share::by_link(&w.db, &for_a_while.link, 1_000).await));
    assert!(is_gone(share::by_link(&w.db, &for_good.link.to_uppercase(), 5).await));
    let all = share::of(&w.db, w.orla, Shared::Lesson(w.lesson)).await.expect("theirs");
    assert_eq!(all, [for_good.clone(), for_a_while]);
    let what = Shared::Lesson(w.lesson);
    assert!(is_gone(share::of(&w.db, w.bo, what).await));
    assert!(is_gone(share::create(&w.db, w.bo, what, ShareKind::Look, false, None).await));
    assert!(is_gone(share::remove(&w.db, w.bo, for_good.id).await));
    share::remove(&w.db, w.orla, for_good.id).await.expect("ended");
    assert!(is_gone(share::by_link(&w.db, &for_good.link, 5).await));
    for _ in 1..20 {
        w.share(ShareKind::Look, None).await;
    }
    let full = share::create(&w.db, w.orla, what, ShareKind::Look, false, None).await;
    assert!(matches!(full, Err(StoreError::Full)), "{full:?}");
}

#[tokio::test]
async fn whoever_was_let_in_edits_until_the_share_ends() {
    let w = world().await;
    assert!(is_gone(share::edited_by(&w.db, w.bo, w.lesson).await));
    let look = w.share(ShareKind::Look, None).await;
    assert!(is_gone(share::let_in(&w.db, &look, w.bo).await));
    let edit = w.share(ShareKind::Edit, None).await;
    assert_eq!(share::let_in(&w.db, &edit, w.bo).await.expect("let in"), w.lesson);
    assert_eq!(share::let_in(&w.db, &edit, w.bo).await.expect("once more"), w.lesson);
    assert_eq!(share::edited_by(&w.db, w.bo, w.lesson).await.expect("may"), w.orla);
    assert_eq!(share::editors(&w.db, w.lesson).await.expect("names"), ["Bo Lindqvist"]);
    let with_bo = share::with(&w.db, w.bo).await.expect("one");
    assert_eq!((with_bo.len(), with_bo[0].from_whom.as_str()), (1, "Orla Fenwick"));
    assert_eq!(share::with(&w.db, w.orla).await.expect("none"), []);
    let hung = ladder::hung(&w.db, w.orla, w.lesson).await.expect("ladders").remove(0).id;
    assert_eq!(share::ladder_seen_by(&w.db, w.bo, hung).await.expect("seen"), w.orla);
    share::remove(&w.db, w.orla, edit.id).await.expect("ended");
    assert!(is_gone(share::edited_by(&w.db, w.bo, w.lesson).await));
    assert!(is_gone(share::ladder_seen_by(&w.db, w.bo, hung).await));
}

#[tokio::test]
async fn those_who_edit_together_see_each_others_images_on_that_lesson_alone() {
    let w = world().await;
    let on = image::create(&w.db, w.bo, "png", b"on").await.expect("kept");
    let off = image::create(&w.db, w.bo, "png", b"off").await.expect("kept");
    let mut lesson = lessons::find(&w.db, w.orla, w.lesson).await.expect("there").lesson;
    let shown = ImageBlock { image: on.0, alt: "A bee".into(), caption: String::new() };
    lesson.slides[0].blocks.push(Block::Image(shown));
    lessons::save(&w.db, w.orla, w.lesson, 1, &lesson).await.expect("saved");
    assert!(is_gone(share::image(&w.db, w.orla, on).await), "not before they edit together");
    let edit = w.share(ShareKind::Edit, None).await;
    share::let_in(&w.db, &edit, w.bo).await.expect("let in");
    assert_eq!(share::image(&w.db, w.orla, on).await.expect("seen").1, b"on");
    assert!(is_gone(share::image(&w.db, w.orla, off).await));
    assert_eq!(share::image(&w.db, w.bo, off).await.expect("one's own").1, b"off");
    let third = teacher::create(&w.db, "cy", "Cy", "-").await.expect("kept");
    assert!(is_gone(share::image(&w.db, third, on).await));
}

#[tokio::test]
async fn the_department_finds_what_stands_on_a_shelf() {
    let w = world().await;
    let first = w.share(ShareKind::Department, None).await;
    assert_eq!(w.share(ShareKind::Department, None).await, first, "once is enough");
    let sheet =
        ladder::create(&w.db, w.bo, None, "A sheet", &a_ladder(), None).await.expect("kept");
    let of_bo = Shared::Ladder(sheet);
    share::create(&w.db, w.bo, of_bo, ShareKind::Department, true, None).await.expect("shared");
    let found = share::department(&w.db, None).await.expect("a shelf");
    let titles: Vec<_> = found.entries.iter().map(|one| one.from_whom.as_str()).collect();
    assert_eq!((titles, found.next), (vec!["Bo Lindqvist", "Orla Fenwick"], None));
    lessons::put(&w.db, w.orla, w.lesson, store::lesson::Place::Bin).await.expect("binned");
    ladder::remove(&w.db, w.bo, sheet).await.expect("gone");
    assert_eq!(share::department(&w.db, None).await.expect("a shelf").entries, []);
    let odd = share::department(&w.db, Some("nothing")).await;
    assert!(matches!(odd, Err(StoreError::NoSuchPage)), "{odd:?}");
}

#[tokio::test]
async fn a_copy_says_where_it_came_from() {
    let w = world().await;
    let kept = ladder::hung(&w.db, w.orla, w.lesson).await.expect("ladders").remove(0).id;
    let kept = ladder::find(&w.db, w.orla, kept).await.expect("there");
    let copy = ladder::copy(&w.db, w.bo, &kept, "Copied from Orla").await.expect("copied");
    let origin = share::origin(&w.db, Shared::Ladder(copy)).await.expect("there");
    assert_eq!(
        (origin.came_from.as_deref(), origin.owner.as_str()),
        (Some("Copied from Orla"), "Bo Lindqvist")
    );
    let found = ladder::find(&w.db, w.bo, copy).await.expect("theirs");
    assert_eq!((found.ladder, found.lesson), (kept.ladder, None));
    let mine = share::origin(&w.db, Shared::Lesson(w.lesson)).await.expect("there");
    assert_eq!(mine.came_from, None);
}

#[tokio::test]
async fn an_account_goes_with_all_that_it_shared() {
    let w = world().await;
    let edit = w.share(ShareKind::Edit, None).await;
    share::let_in(&w.db, &edit, w.bo).await.expect("let in");
    let plan = Plan::new(LadderOrder::default());
    bench::save(&w.db, w.orla, None, 0, &plan).await.expect("kept");
    ladder::create(&w.db, w.orla, None, "A sheet", &a_ladder(), None).await.expect("kept");
    teacher::remove(&w.db, w.bo).await.expect("gone");
    assert!(share::editors(&w.db, w.lesson).await.expect("names").is_empty());
    teacher::remove(&w.db, w.orla).await.expect("gone");
    assert!(is_gone(share::by_link(&w.db, &edit.link, 0).await));
}
