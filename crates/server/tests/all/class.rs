//! A class at its desks, all at once, as over the network of a school: everybody has their own lines, their own verdicts,
//! and what was told to be saved is there.

use crate::common::{Teacher, teacher};
use axum::http::StatusCode;
use serde_json::{Value, json};
use tokio::task::JoinSet;

/// How many sit at once.
const CLASS: usize = 16;

/// A ladder of linear equations that hangs on a lesson, and the way to its desk.
async fn ladder(teacher: &Teacher) -> (u64, String, Vec<String>) {
    let lesson = teacher.lesson("Equations", 7).await;
    let order =
        json!({"skills": ["equations.linear"], "grip": 3, "tilt": 0, "climb": 0, "seed": 6});
    let plan = json!({"title": "", "order": order, "rungs": [], "next_key": 1});
    let path = format!("/api/lessons/{lesson}/ladders");
    let new = json!({"title": "Climb", "plan": plan});
    let id = teacher.ask("POST", &path, Some(new)).await["id"].as_u64().expect("an id");
    let opened = teacher.ask("GET", &format!("/api/ladders/{id}"), None).await;
    let desk = format!("/api{}", opened["desk"].as_str().expect("a link"));
    let rungs = opened["rungs"].as_array().expect("rungs");
    let answers = rungs
        .iter()
        .map(|one| one["rung"]["answer"]["text"].as_str().expect("an answer").to_owned());
    (id, desk, answers.collect())
}

async fn seated(teacher: &Teacher, desk: &str, name: &str) -> Teacher {
    let mut student = Teacher { app: teacher.app.clone(), cookie: String::new() };
    let (status, _, cookie) =
        student.raw("POST", &format!("{desk}/join"), Some(json!({"name": name}))).await;
    assert!(status.is_success(), "{name}");
    student.cookie = cookie.expect("a cookie");
    student
}

fn write(based_on: u64, lines: &[&str]) -> Option<Value> {
    let lines: Vec<Value> = lines.iter().map(|text| json!({"text": text})).collect();
    Some(json!({"based_on": based_on, "lines": lines}))
}

fn words(kept: &Value) -> Vec<&str> {
    let lines = kept["judgement"]["lines"].as_array().expect("lines");
    lines.iter().map(|line| line["verdict"]["word"].as_str().expect("a word")).collect()
}

#[tokio::test(flavor = "multi_thread", worker_threads = 4)]
async fn everybody_writes_at_once_and_has_their_own() {
    let teacher = teacher().await;
    let (id, desk, answers) = ladder(&teacher).await;
    let mut class = JoinSet::new();
    for at in 0..CLASS {
        let student = seated(&teacher, &desk, &format!("Student {at}")).await;
        let (desk, answers) = (desk.clone(), answers.clone());
        class.spawn(async move {
            for (number, answer) in (1..).zip(&answers) {
                let rung = format!("{desk}/rungs/{number}");
                let mine = format!("x = {}", 1000 + at);
                let kept = student.ask("PUT", &rung, write(0, &[&mine])).await;
                assert_eq!(
                    (words(&kept), &kept["revision"]),
                    (vec!["breaks"], &json!(1)),
                    "{mine}"
                );
                // Every second one finds it.
                if at.is_multiple_of(2) {
                    let kept = student.ask("PUT", &rung, write(1, &[answer])).await;
                    assert_eq!(kept["judgement"]["finished"], true, "{answer}");
                }
            }
            let own = student.ask("GET", &desk, None).await;
            assert_eq!(own["student"], format!("Student {at}"));
            assert_eq!(own["written"].as_array().map(Vec::len), Some(answers.len()));
        });
    }
    class.join_all().await;
    let seen = teacher.list(&format!("/api/ladders/{id}/desks")).await;
    let desks = seen.as_array().expect("desks");
    assert_eq!(desks.len(), CLASS);
    for one in desks {
        let at: usize = one["student"]
            .as_str()
            .and_then(|name| name.rsplit(' ').next()?.parse().ok())
            .expect("a number");
        let rungs = one["rungs"].as_array().expect("rungs");
        assert_eq!(rungs.len(), answers.len(), "{one}");
        for rung in rungs {
            assert_eq!(rung["finished"], at.is_multiple_of(2), "{one}");
            let stands = rung["lines"][0]["plain"].as_str().expect("a line");
            assert!(
                at.is_multiple_of(2) || stands == format!("x = {}", 1000 + at),
                "{stands} at desk {at}"
            );
        }
    }
}

#[tokio::test(flavor = "multi_thread", worker_threads = 4)]
async fn of_two_windows_of_one_student_neither_is_lost_without_a_word() {
    let teacher = teacher().await;
    let (_, desk, _) = ladder(&teacher).await;
    let student = seated(&teacher, &desk, "Jonas").await;
    let rung = format!("{desk}/rungs/1");
    let mut windows = JoinSet::new();
    for at in 0..6 {
        let window = Teacher { app: student.app.clone(), cookie: student.cookie.clone() };
        let rung = rung.clone();
        windows.spawn(async move {
            let (status, body, _) =
                window.raw("PUT", &rung, write(0, &[&format!("x = {at}")])).await;
            (at, status, serde_json::from_slice::<Value>(&body).expect("an answer"))
        });
    }
    let answers = windows.join_all().await;
    let (kept, told): (Vec<_>, Vec<_>) =
        answers.iter().partition(|(_, status, _)| *status == StatusCode::OK);
    assert_eq!((kept.len(), told.len()), (1, 5), "{answers:?}");
    for (_, status, failure) in &told {
        assert_eq!(
            (*status, &failure["kind"], &failure["revision"]),
            (StatusCode::CONFLICT, &json!("stale"), &json!(1))
        );
    }
    let own = student.ask("GET", &desk, None).await;
    assert_eq!(own["written"][0]["lines"][0]["text"], format!("x = {}", kept[0].0));
}

#[tokio::test]
async fn names_are_taken_as_they_are_written() {
    let teacher = teacher().await;
    let (id, desk, _) = ladder(&teacher).await;
    let names = [
        "Zoë",
        "Łucja",
        "李雷",
        "Ana María",
        "O’Brien",
        "<b>Rui</b>",
        "'; DROP TABLE desk; --",
        "🐝",
        "Jonas",
    ];
    for name in names {
        let student = seated(&teacher, &desk, name).await;
        assert_eq!(student.ask("GET", &desk, None).await["student"], name);
    }
    let seen = teacher.list(&format!("/api/ladders/{id}/desks")).await;
    let listed: Vec<&str> = seen
        .as_array()
        .expect("desks")
        .iter()
        .map(|one| one["student"].as_str().expect("a name"))
        .collect();
    assert_eq!(listed, names);
}
