//! One action is one transaction: wherever the connection is cut, nothing stands there half-made.
//!
//! A proxy stands between the pool and the database. It counts the statements that pass, and cuts the connection before
//! the n-th one, for every n until the action goes through. After each cut the tables hold what they held before, or,
//! when only the answer to the commit was lost, all of what they were to hold.

use ::lesson::blocks::{ImageBlock, LadderBlock};
use desk::{DeskLine, judge};
use lesson::{Block, Lesson};
use scratch::{Scratch, scratch};
use skills::ladder::{Ladder, LadderOrder};
use sqlx::Row;
use sqlx::mysql::{MySqlConnectOptions, MySqlPoolOptions};
use std::future::Future;
use std::str::FromStr;
use std::sync::Arc;
use std::sync::atomic::{AtomicUsize, Ordering};
use store::lesson::{New, NewImage, NewLadder, Place};
use store::{Db, LadderId, LessonId, StoreError, TeacherId};
use teaching::skill::Strand;
use tokio::io::{AsyncReadExt, AsyncWriteExt};
use tokio::net::{TcpListener, TcpStream};

/// Most statements of one action, with room to spare.
const MOST_STATEMENTS: usize = 60;

/// Commands of the protocol that change something or read: a query as text, and one that was prepared.
const QUERY: u8 = 0x03;
const EXECUTE: u8 = 0x17;

/// A connection pool whose connection is cut before statement `cut`, counted from 0.
async fn cut_before(url: &str, cut: usize) -> Db {
    let real = MySqlConnectOptions::from_str(url).expect("our own address");
    let (host, port) = (real.get_host().to_owned(), real.get_port());
    let listener = TcpListener::bind("127.0.0.1:0").await.expect("a port");
    let own = listener.local_addr().expect("an address").port();
    let passed = Arc::new(AtomicUsize::new(0));
    tokio::spawn(async move {
        while let Ok((client, _)) = listener.accept().await {
            let Ok(server) = TcpStream::connect((host.as_str(), port)).await else { return };
            tokio::spawn(pass(client, server, passed.clone(), cut));
        }
    });
    let options = MySqlConnectOptions::from_str(url)
        .expect("our own address")
        .port(own)
        .ssl_mode(sqlx::mysql::MySqlSslMode::Disabled);
    MySqlPoolOptions::new().max_connections(1).connect_lazy_with(options)
}

/// Passes bytes on until the cut.
async fn pass(client: TcpStream, server: TcpStream, passed: Arc<AtomicUsize>, cut: usize) {
    let (mut from_client, mut to_client) = client.into_split();
    let (mut from_server, mut to_server) = server.into_split();
    let back = tokio::spawn(async move {
        let _ = tokio::io::copy(&mut from_server, &mut to_client).await;
    });
    let mut header = [0u8; 4];
    while from_client.read_exact(&mut header).await.is_ok() {
        let length =
            usize::from(header[0]) | usize::from(header[1]) << 8 | usize::from(header[2]) << 16;
        let mut body = vec![0u8; length];
        if from_client.read_exact(&mut body).await.is_err() {
            break;
        }
        // A command is the first packet of an exchange. What the pool says of itself, as its time zone, is no statement.
        let is_statement = header[3] == 0
            && match body.first() {
                Some(&EXECUTE) => true,
                Some(&QUERY) => !body[1..].starts_with(b"SET "),
                _ => false,
            };
        if is_statement && passed.fetch_add(1, Ordering::SeqCst) == cut {
            break;
        }
        if to_server.write_all(&header).await.is_err() || to_server.write_all(&body).await.is_err()
        {
            break;
        }
    }
    back.abort();
}

/// What all tables hold, as one text for each; the times of rows are left out.
async fn held(db: &Db) -> Vec<String> {
    let tables = [
        "SELECT id, revision, title, place, minutes, slides, words, MD5(document) FROM lesson ORDER BY id",
        "SELECT lesson, revision, MD5(document) FROM lesson_version ORDER BY lesson, revision",
        "SELECT id, lesson, title, hints, rungs, words, MD5(document) FROM ladder ORDER BY id",
        "SELECT lesson, revision, MD5(document) FROM bench ORDER BY lesson",
        "SELECT id, owner, kind FROM image ORDER BY id",
        "SELECT id, ladder, student FROM desk ORDER BY id",
        "SELECT desk, rung, revision, MD5(written) FROM desk_rung ORDER BY desk, rung",
    ];
    let mut all = Vec::new();
    for sql in tables {
        let rows = sqlx::query(sql).fetch_all(db).await.expect("a table");
        let text = |row: &sqlx::mysql::MySqlRow| {
            (0..row.len())
                .map(|at| {
                    let as_text = row.try_get_unchecked::<Option<String>, _>(at);
                    let as_number = row.try_get_unchecked::<Option<u64>, _>(at);
                    match (as_text, as_number) {
                        (Ok(text), _) => text.unwrap_or_default(),
                        (_, Ok(number)) => number.unwrap_or_default().to_string(),
                        (Err(error), _) => panic!("{sql}: {error}"),
                    }
                })
                .collect::<Vec<_>>()
                .join("|")
        };
        all.push(rows.iter().map(text).collect::<Vec<_>>().join("\n"));
    }
    all
}

/// How many rows each table holds.
fn counts(held: &[String]) -> Vec<usize> {
    held.iter().map(|table| table.lines().count()).collect()
}

struct World {
    scratch: Scratch,
    orla: TeacherId,
    lesson: LessonId,
    ladder: LadderId,
}

fn a_lesson(topic: &str) -> Lesson {
    Lesson::new(topic, 6, Strand::FractionsRatio, 45).expect("fine")
}

fn a_ladder() -> Ladder {
    let order = LadderOrder {
        skills: vec!["equations.linear".into()],
        grip: 1,
        seed: 5,
        ..LadderOrder::default()
    };
    Ladder::make(&order).expect("made")
}

async fn world() -> World {
    let scratch = scratch().await.expect("a database");
    let db = &scratch.db;
    let orla = store::teacher::create(db, "orla", "Orla Fenwick", "-").await.expect("kept");
    let lesson = store::lesson::create(db, orla, a_lesson("Before")).await.expect("kept");
    let ladder = store::ladder::create(db, orla, lesson, "Before", &a_ladder(), None).await;
    let ladder = ladder.expect("kept");
    store::lesson::save(db, orla, lesson, 1, &a_lesson("Second")).await.expect("kept");
    World { scratch, orla, lesson, ladder }
}

/// Cuts an action before each of its statements, and looks at what stands there.
async fn whole_or_nothing<T, F>(name: &str, world: &World, action: impl Fn(Db) -> F)
where
    F: Future<Output = Result<T, StoreError>>,
{
    let direct = &world.scratch.db;
    for cut in 0..MOST_STATEMENTS {
        let before = held(direct).await;
        let through = cut_before(&world.scratch.url, cut).await;
        let done = action(through.clone()).await.is_ok();
        through.close().await;
        let after = held(direct).await;
        if done {
            assert!(cut >= 2, "{name}: an action has a statement between its begin and its commit");
            assert_ne!(before, after, "{name} did something");
            return;
        }
        if before != after {
            // Only the commit itself may have been done without its answer; then all of it is there.
            let again = cut_before(&world.scratch.url, MOST_STATEMENTS).await;
            let _ = action(again).await;
            let twice = held(direct).await;
            let made = |from: &[String], to: &[String]| -> Vec<usize> {
                counts(to).iter().zip(counts(from)).map(|(to, from)| to - from).collect()
            };
            assert_eq!(
                made(&before, &after),
                made(&after, &twice),
                "{name}, cut at {cut}: half-made"
            );
        }
    }
    panic!("{name} has more than {MOST_STATEMENTS} statements");
}

#[tokio::test(flavor = "multi_thread", worker_threads = 2)]
async fn a_new_lesson_is_whole_or_not_there() {
    let w = world().await;
    let mut lesson = a_lesson("New");
    lesson.slides[0].blocks = vec![
        Block::Image(ImageBlock { image: 3, alt: "Bees".into(), caption: String::new() }),
        Block::Ladder(LadderBlock { ladder: 0, title: "New".into() }),
    ];
    let hung = |named| NewLadder { named, title: "New".into(), ladder: a_ladder(), plan: None };
    let new = New {
        lesson,
        images: vec![NewImage { named: 3, kind: "png".into(), bytes: vec![1, 2, 3] }],
        ladders: vec![hung(0), hung(1)],
        came_from: None,
    };
    whole_or_nothing("create", &w, |db| {
        let new = new.clone();
        async move { store::lesson::create(&db, w.orla, new).await }
    })
    .await;
}

#[tokio::test(flavor = "multi_thread", worker_threads = 2)]
async fn a_saved_lesson_has_its_version_or_is_not_saved() {
    let w = world().await;
    whole_or_nothing("save", &w, |db| async move {
        store::lesson::save(&db, w.orla, w.lesson, 2, &a_lesson("Third")).await
    })
    .await;
    whole_or_nothing("restore", &w, |db| async move {
        store::lesson::restore(&db, w.orla, w.lesson, 3, 1).await
    })
    .await;
    whole_or_nothing("put", &w, |db| async move {
        store::lesson::put(&db, w.orla, w.lesson, Place::Bin).await
    })
    .await;
}

#[tokio::test(flavor = "multi_thread", worker_threads = 2)]
async fn a_ladder_hangs_and_its_bench_is_cleared_or_neither() {
    let w = world().await;
    let order =
        LadderOrder { skills: vec!["equations.linear".into()], grip: 1, ..LadderOrder::default() };
    let plan = lesson::bench::Plan::new(order);
    whole_or_nothing("bench", &w, |db| {
        let plan = plan.clone();
        async move { store::bench::save(&db, w.orla, w.lesson, 0, &plan).await }
    })
    .await;
    whole_or_nothing("hang", &w, |db| {
        let plan = plan.clone();
        async move {
            store::ladder::create(&db, w.orla, w.lesson, "Hung", &a_ladder(), Some(&plan)).await
        }
    })
    .await;
    whole_or_nothing("hints", &w, |db| async move {
        store::ladder::set_rules(&db, w.orla, w.ladder, 1, true).await
    })
    .await;
    whole_or_nothing("image", &w, |db| async move {
        store::image::create(&db, w.orla, "png", &[1, 2, 3]).await
    })
    .await;
}

#[tokio::test(flavor = "multi_thread", worker_threads = 2)]
async fn what_a_student_writes_is_kept_or_not_called_so() {
    let w = world().await;
    whole_or_nothing(
        "join",
        &w,
        |db| async move { store::desk::join(&db, w.ladder, "Hana").await },
    )
    .await;
    let desk = store::desk::join(&w.scratch.db, w.ladder, "Leo").await.expect("joined");
    let rung = &a_ladder().rungs[0];
    let lines = vec![DeskLine { text: "x = 1".into(), latex: false }];
    let judgement = judge(rung, &lines);
    let written = store::desk::Written { rung: 1, revision: 0, lines, answer: None, judgement };
    // One statement, which is a transaction of its own.
    let through = cut_before(&w.scratch.url, 0).await;
    assert!(store::desk::save(&through, desk, 0, &written).await.is_err());
    let kept = store::desk::find(&w.scratch.db, w.ladder, desk).await.expect("there");
    assert!(kept.written.is_empty());
}
