//! A full shelf, listed: `HONEY_LADDER_TEST_SERVER=mysql://… cargo bench -p store --bench shelf`.
//!
//! 5,000 lessons of one teacher, each with twelve slides, in a scratch database. What is asked for: a page of the shelf in under 50 ms.
//! A harness of its own, because the worst page counts as much as the usual one.

use ::lesson::Lesson;
use std::time::{Duration, Instant};
use store::lesson::Place;
use store::{Db, TeacherId, lesson, teacher};
use teaching::skill::Strand;

const LESSONS: usize = 5_000;
const TIMES: usize = 5;

/// A lesson with as many slides as a usual one.
fn a_lesson(at: usize) -> Lesson {
    let grade = u8::try_from(at % 13).expect("small");
    let mut lesson = Lesson::new(&format!("Topic {at}"), grade, Strand::Number, 45).expect("fine");
    let slide = lesson.slides[0].clone();
    lesson.slides = (1..=12).map(|id| ::lesson::Slide { id, ..slide.clone() }).collect();
    lesson
}

/// How long each page of the shelf takes, from the first to the last, and how many lessons stand there.
async fn pages(db: &Db, owner: TeacherId, words: &str) -> (Vec<Duration>, usize) {
    let (mut took, mut found, mut after) = (Vec::new(), 0, None);
    loop {
        let began = Instant::now();
        let page = lesson::shelf(db, owner, Place::Shelf, words, after.as_deref());
        let page = page.await.expect("a page");
        took.push(began.elapsed());
        found += page.entries.len();
        after = page.next;
        if after.is_none() {
            return (took, found);
        }
    }
}

#[tokio::main(flavor = "current_thread")]
async fn main() {
    let db = scratch::scratch().await.expect("a database").db;
    let owner = teacher::create(&db, "orla", "Orla Fenwick", "-").await.expect("kept");
    let began = Instant::now();
    for at in 0..LESSONS {
        lesson::create(&db, owner, a_lesson(at)).await.expect("room");
    }
    println!("{LESSONS} lessons kept in {:.1} s", began.elapsed().as_secs_f64());
    println!("| what | lessons | first page | slowest page | all pages |");
    println!("|---|---|---|---|---|");
    for (what, words) in
        [("the whole shelf", ""), ("a word on every slide", "topic"), ("a word on one", "4711")]
    {
        let mut best: Option<(Vec<Duration>, usize)> = None;
        for _ in 0..TIMES {
            let now = pages(&db, owner, words).await;
            let sum = |took: &[Duration]| took.iter().sum::<Duration>();
            if best.as_ref().is_none_or(|best| sum(&now.0) < sum(&best.0)) {
                best = Some(now);
            }
        }
        let (took, found) = best.expect("measured");
        let ms = |time: Duration| time.as_secs_f64() * 1000.0;
        let slowest = took.iter().max().copied().unwrap_or_default();
        println!(
            "| {what} | {found} | {:.1} ms | {:.1} ms | {:.0} ms |",
            ms(took[0]),
            ms(slowest),
            ms(took.iter().sum())
        );
    }
}
