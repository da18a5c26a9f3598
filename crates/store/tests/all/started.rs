//! Starting: cut off anywhere, or twice at once.

use sqlx::Row;
use store::attempt::{self, Allowed};
use store::{Db, StoreError, connect, open};

async fn versions(db: &Db) -> Vec<i64> {
    let rows =
        sqlx::query("SELECT version FROM _sqlx_migrations WHERE success = TRUE ORDER BY version");
    rows.fetch_all(db).await.expect("rows").iter().map(|row| row.get(0)).collect()
}

#[tokio::test]
async fn a_migration_that_was_cut_off_is_run_again() {
    let scratch = scratch::scratch().await.expect("a database");
    let all = versions(&scratch.db).await;
    assert!(all.len() >= 8, "{all:?}");
    for &version in &all {
        // It was cut off when all, or nothing, of what it does was done; those behind it were never begun.
        let sql = "DELETE FROM _sqlx_migrations WHERE version > ?";
        sqlx::query(sql).bind(version).execute(&scratch.db).await.expect("done");
        let sql = "UPDATE _sqlx_migrations SET success = FALSE WHERE version = ?";
        sqlx::query(sql).bind(version).execute(&scratch.db).await.expect("done");
        let again =
            connect(&scratch.url).await.unwrap_or_else(|error| panic!("{version}: {error}"));
        assert_eq!(versions(&again).await, all, "{version}");
    }
}

#[tokio::test]
async fn a_database_from_before_its_migrations_were_rewritten_opens() {
    let scratch = scratch::scratch().await.expect("a database");
    let sql = "UPDATE _sqlx_migrations SET checksum = UNHEX('00') WHERE version <= 7";
    sqlx::query(sql).execute(&scratch.db).await.expect("done");
    assert!(connect(&scratch.url).await.is_ok());
    // One that is newer than this program does not.
    let sql =
        "INSERT INTO _sqlx_migrations (version, description, success, checksum, execution_time)
               VALUES (9999, 'of tomorrow', TRUE, UNHEX('00'), 0)";
    sqlx::query(sql).execute(&scratch.db).await.expect("done");
    let refused = connect(&scratch.url).await.err();
    assert!(matches!(refused, Some(StoreError::Migration(_))), "{refused:?}");
}

#[tokio::test]
async fn whoever_starts_second_waits_for_the_first() {
    let scratch = scratch::scratch().await.expect("a database");
    let first = open(&scratch.url).await.expect("opened");
    let url = scratch.url.clone();
    let second = tokio::spawn(async move { open(&url).await });
    // The second one stands at the lock.
    let waits = "SELECT COUNT(*) FROM information_schema.processlist
                 WHERE db = DATABASE() AND state LIKE '%lock%'";
    loop {
        let waiting: i64 = sqlx::query_scalar(waits).fetch_one(&first.db).await.expect("a count");
        if waiting > 0 {
            break;
        }
        tokio::task::yield_now().await;
    }
    assert!(!second.is_finished());
    first.done().await.expect("done");
    let second = second.await.expect("it ends").expect("opened");
    second.done().await.expect("done");
}

#[tokio::test]
async fn tries_are_counted_until_their_time_is_over() {
    let db = scratch::scratch().await.expect("a database").db;
    let allowed = Allowed { times: 3, seconds: 60 };
    let begun = 1_000;
    for after in 0..3 {
        attempt::count(&db, "a", allowed, begun + after).await.expect("allowed");
    }
    let refused = attempt::count(&db, "a", allowed, begun + 10).await;
    assert!(matches!(refused, Err(StoreError::TooOften { seconds: 50 })), "{refused:?}");
    attempt::count(&db, "b", allowed, begun + 10).await.expect("somebody else");
    attempt::count(&db, "a", allowed, begun + 60).await.expect("a new minute");
    attempt::forget(&db, "a").await.expect("done");
    for after in 0..3 {
        attempt::count(&db, "a", allowed, begun + 61 + after).await.expect("allowed");
    }
    assert_eq!(attempt::sweep(&db, begun + 86_400 + 50).await.expect("done"), 1);
}

#[tokio::test]
async fn many_at_once_are_counted_one_by_one() {
    let db = scratch::scratch().await.expect("a database").db;
    let allowed = Allowed { times: 5, seconds: 60 };
    let mut all = tokio::task::JoinSet::new();
    for _ in 0..20 {
        let db = db.clone();
        all.spawn(async move { attempt::count(&db, "a", allowed, 7).await.is_ok() });
    }
    let allowed = all.join_all().await.into_iter().filter(|ok| *ok).count();
    assert!(allowed <= 5, "{allowed}");
}

#[tokio::test]
async fn an_account_goes_with_all_that_is_its_own() {
    let db = scratch::scratch().await.expect("a database").db;
    let orla = store::teacher::create(&db, "orla", "Orla", "x").await.expect("kept");
    let other = store::teacher::create(&db, "other", "Other", "x").await.expect("kept");
    for owner in [orla, other] {
        let lesson = crate::kept::a_lesson_with_a_ladder(&db, owner).await;
        let hung = store::ladder::hung(&db, owner, lesson).await.expect("hung");
        store::desk::join(&db, hung[0].id, "Hana").await.expect("joined");
        store::image::create(&db, owner, "png", b"x").await.expect("kept");
    }
    store::teacher::remove(&db, orla).await.expect("gone");
    assert!(matches!(store::teacher::remove(&db, orla).await, Err(StoreError::NotFound)));
    for table in ["teacher", "lesson", "lesson_version", "ladder", "desk", "image"] {
        let sql = sqlx::AssertSqlSafe(format!("SELECT COUNT(*) FROM {table}"));
        let left: i64 = sqlx::query_scalar(sql).fetch_one(&db).await.expect("a count");
        assert_eq!(left, 1, "{table}");
    }
}
