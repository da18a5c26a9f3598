//! A live lesson in front of a real database: a class joins, answers and is seen; two servers serve one lesson; what was
//! acknowledged is kept, once.

use crate::common::{Teacher, teacher};
use axum::http::StatusCode;
use serde_json::{Value, json};
use server::{App, Site, router};
use std::path::Path;
use std::time::Duration;

/// A lesson that is open to whoever has its code.
struct Live {
    orla: Teacher,
    id: u64,
    class: u64,
    code: String,
}

async fn live() -> Live {
    let orla = teacher().await;
    let lesson = orla.lesson("Expanding brackets", 7).await;
    let at = format!("/api/lessons/{lesson}");
    let mut kept = orla.ask("GET", &at, None).await["lesson"].clone();
    let mut second = kept["slides"][0].clone();
    second["id"] = json!(99);
    kept["slides"].as_array_mut().expect("slides").push(second);
    orla.ask("PUT", &at, Some(json!({"based_on": 1, "lesson": kept}))).await;
    let body = json!({"lesson": lesson});
    let id = orla.ask("POST", "/api/live", Some(body.clone())).await["id"].as_u64().expect("an id");
    let again = orla.ask("POST", "/api/live", Some(body)).await["id"].as_u64();
    assert_eq!(again, Some(id), "one that is open goes on");
    let view = orla.ask("GET", &format!("/api/live/{id}"), None).await;
    let code = view["live"]["code"].as_str().expect("a code").to_owned();
    assert!(code.len() == 6 && !code.contains(['l', 'o', '0', '1']), "{code}");
    let class = view["live"]["class"].as_u64().expect("an id");
    Live { orla, id, class, code }
}

impl Live {
    async fn student(&self, name: &str) -> Teacher {
        let mut student = Teacher { app: self.orla.app.clone(), cookie: String::new() };
        let body = Some(json!({"name": name}));
        let (status, bytes, cookie) = student.raw("POST", &self.join(""), body).await;
        assert_eq!(status, StatusCode::OK, "{}", String::from_utf8_lossy(&bytes));
        student.cookie = cookie.expect("a cookie");
        student
    }

    fn join(&self, rest: &str) -> String {
        format!("/api/join/{}{rest}", self.code)
    }

    fn path(&self, rest: &str) -> String {
        format!("/api/live/{}{rest}", self.id)
    }

    async fn act(&self, does: Value) {
        self.orla.ask("POST", &self.path("/events"), Some(does)).await;
    }

    async fn asks(&self, wanted: Value, tells: &str) {
        let body = json!({"wanted": wanted, "tells": tells});
        self.orla.ask("POST", &self.path("/questions"), Some(body)).await;
    }

    async fn view(&self) -> Value {
        self.orla.ask("GET", &self.path(""), None).await
    }

    async fn does(&self, student: &Teacher, token: &str, does: Value) -> Value {
        let body = Some(json!({"token": token, "does": does}));
        student.ask("POST", &self.join("/events"), body).await
    }
}

fn lines(number: u32, line: &str) -> Value {
    json!({"kind": "gave", "question": number, "given": {"by": "desk", "lines": [{"text": line}]}})
}

#[tokio::test]
async fn a_class_joins_answers_and_is_grouped_by_what_it_means() {
    let live = live().await;
    let (ada, bo, cy) =
        (live.student("Ada").await, live.student("Bo").await, live.student("Cy").await);
    live.asks(json!({"from": "typed", "text": "expand 3(x + 4)"}), "never").await;
    for (student, token, line) in
        [(&ada, "adaadaada", "3x + 12"), (&bo, "bobobobobo", "3x + 4"), (&cy, "cycycycy", "4 + 3x")]
    {
        let now = live.does(student, token, lines(1, line)).await;
        assert_eq!(now["question"]["tries"], 1);
        assert!(now["question"].get("said").is_none(), "nothing is told: {now}");
        assert!(!now.to_string().contains("\"right\""), "{now}");
    }
    let view = live.view().await;
    let question = &view["question"];
    assert_eq!((&question["answered"], &view["wall"]["answered"]), (&json!(3), &json!(3)));
    let groups = question["groups"].as_array().expect("groups");
    assert_eq!(groups.len(), 2, "{groups:?}");
    assert_eq!(groups[0]["students"].as_array().map(Vec::len), Some(2));
    assert!(groups[0]["slip"].as_str().is_some_and(|slip| !slip.is_empty()), "{groups:?}");
    // On the wall stands no name.
    let bo_id = groups[0]["students"][0].clone();
    live.act(json!({"kind": "on_wall", "answers": [{"question": 1, "student": bo_id}]})).await;
    live.act(json!({"kind": "shares_on_wall", "question": 1})).await;
    let wall = live.view().await["wall"].clone();
    assert_eq!(wall["answers"][0]["lines"].as_array().map(Vec::len), Some(1));
    assert_eq!(wall["shares"].as_array().map(Vec::len), Some(2));
    assert!(wall["shares"][0].get("right").is_none(), "what is right waits: {wall}");
    assert!(!wall.to_string().contains("Bo"), "{wall}");
    live.act(json!({"kind": "told", "question": 1})).await;
    let told = ada.ask("GET", &live.join(""), None).await["now"]["question"].clone();
    assert_eq!((&told["said"]["right"], &told["open"]), (&json!(true), &json!(false)));
    assert!(told["right"].as_str().is_some_and(|right| right.contains("12")), "{told}");
    let late = json!({"token": "lateanswer", "does": lines(1, "3x")});
    let (_, says) = cy.refused("POST", &live.join("/events"), late).await;
    assert!(says.contains("Look up"), "{says}");
    // The class that was made for it has its students, and what they did is stored with them.
    let class = live.orla.ask("GET", &format!("/api/classes/{}", live.class), None).await;
    assert_eq!(class["students"].as_array().map(Vec::len), Some(3));
    let ada_id = &class["students"][0]["id"];
    let stored = format!("/api/classes/{}/students/{ada_id}/stored", live.class);
    let stored = live.orla.ask("GET", &stored, None).await;
    assert!(stored["live"].to_string().contains("3x + 12"), "{stored}");
    let student = format!("/api/classes/{}/students/{ada_id}", live.class);
    live.orla.raw("DELETE", &student, None).await;
    let at = live.orla.ask("GET", &live.path("/at?seq=1000"), None).await;
    assert_eq!(at["view"]["students"].as_array().map(Vec::len), Some(2), "she is gone from it");
}

#[tokio::test]
async fn what_is_sent_twice_is_kept_once_and_whoever_comes_back_finds_the_same_place() {
    let live = live().await;
    let ada = live.student("Ada").await;
    live.asks(json!({"from": "typed", "text": "What is a term?"}), "at_once").await;
    let gave =
        |text: &str| json!({"kind": "gave", "question": 1, "given": {"by": "text", "text": text}});
    for _ in 0..3 {
        let now = live.does(&ada, "sametoken", gave("A part of a sum")).await;
        assert_eq!(now["question"]["tries"], 1);
    }
    let now = live.does(&ada, "othertoken", gave("A part")).await;
    assert_eq!(now["question"]["tries"], 2);
    // Reloaded, and on another device with her own code.
    let again = ada.ask("GET", &live.join(""), None).await;
    assert_eq!(again["now"]["question"]["given"]["text"], "A part");
    let mut tablet = Teacher { app: ada.app.clone(), cookie: String::new() };
    let code = json!({"code": again["code"]});
    let (_, bytes, cookie) = tablet.raw("POST", &live.join(""), Some(code)).await;
    tablet.cookie = cookie.expect("a cookie");
    let there: Value = serde_json::from_slice(&bytes).expect("JSON");
    assert_eq!(there["now"]["question"]["given"]["text"], "A part");
    // Her name is taken; a wrong code opens nothing.
    let nobody = Teacher { app: ada.app.clone(), cookie: String::new() };
    let (status, _) = nobody.refused("POST", &live.join(""), json!({"name": "ada"})).await;
    assert_eq!(status, StatusCode::CONFLICT);
    let (status, _) = nobody.refused("GET", "/api/join/zzzzzz", json!(null)).await;
    assert_eq!(status, StatusCode::NOT_FOUND);
    // A program that does more in a minute than anybody can is told to wait; others are not.
    let bo = live.student("Bo").await;
    let hand = |n: usize| json!({"token": format!("handnumber{n}"), "does": {"kind": "hand", "up": n.is_multiple_of(2)}});
    let mut refused = 0;
    for n in 0..260 {
        let (status, ..) = ada.raw("POST", &live.join("/events"), Some(hand(n))).await;
        refused += usize::from(status == StatusCode::TOO_MANY_REQUESTS);
    }
    assert!((10..=30).contains(&refused), "{refused}");
    live.does(&bo, "handofbo", json!({"kind": "hand", "up": true})).await;
    for token in ["short", "with spaces in it", &"x".repeat(40)] {
        let body = json!({"token": token, "does": {"kind": "hand", "up": true}});
        bo.refused("POST", &live.join("/events"), body).await;
    }
}

#[tokio::test]
async fn students_stand_where_the_pace_lets_them_and_see_nothing_that_comes_later() {
    let live = live().await;
    let ada = live.student("Ada").await;
    let slide = |n: u16, step: u16| live.join(&format!("/slides/{n}/{step}"));
    ada.ask("GET", &slide(0, 1), None).await;
    let (status, _) = ada.refused("GET", &slide(1, 1), json!(null)).await;
    assert_eq!(status, StatusCode::NOT_FOUND, "the class is not there yet");
    live.act(json!({"kind": "moved", "place": {"slide": 1, "step": 1}})).await;
    let now = ada.ask("GET", &live.join(""), None).await["now"].clone();
    assert_eq!(now["place"], json!({"slide": 1, "step": 1}));
    let shown = ada.ask("GET", &slide(1, 1), None).await;
    assert_eq!(shown["slide"]["notes"], "");
    let back =
        json!({"token": "goesback1", "does": {"kind": "at", "place": {"slide": 0, "step": 1}}});
    ada.refused("POST", &live.join("/events"), back.clone()).await;
    live.act(json!({"kind": "paced", "pace": {"by": "behind"}})).await;
    let now = ada.ask("POST", &live.join("/events"), Some(back)).await;
    assert_eq!(now["place"], json!({"slide": 0, "step": 1}));
    live.act(json!({"kind": "paused", "paused": true})).await;
    live.does(&ada, "handupnow", json!({"kind": "hand", "up": true})).await;
    live.does(&ada, "wonders12", json!({"kind": "wondered", "text": " Why  minus? "})).await;
    live.does(&ada, "withsomeone", json!({"kind": "with", "partner": "Bo"})).await;
    let view = live.view().await;
    assert!(view["students"][0]["hand"].is_i64() && view["students"][0]["partner"] == "Bo");
    let wonder = &view["wonders"][0];
    assert_eq!(wonder["text"], "Why minus?");
    live.act(json!({"kind": "wonder_on_wall", "wonder": wonder["id"]})).await;
    assert_eq!(live.view().await["wall"]["wonder"], "Why minus?");
    live.act(json!({"kind": "ended"})).await;
    let (status, _) = ada.refused("GET", &live.join(""), json!(null)).await;
    assert_eq!(status, StatusCode::NOT_FOUND, "the code opens nothing any more");
    let (_, says) = live
        .orla
        .refused("POST", &live.path("/events"), json!({"kind": "paused", "paused": false}))
        .await;
    assert!(says.contains("over"), "{says}");
    // It can be walked through again, and taken away.
    let at = live.orla.ask("GET", &live.path("/at?seq=4"), None).await;
    assert_eq!(at["view"]["seq"], 4);
    assert!(at["last"].as_u64() > Some(8));
    let (status, ..) = live.orla.raw("DELETE", &live.path(""), None).await;
    assert_eq!(status, StatusCode::NO_CONTENT);
    live.orla.refused("GET", &live.path(""), json!(null)).await;
}

#[tokio::test]
async fn two_servers_on_one_database_serve_one_lesson() {
    let scratch = scratch::scratch().await.expect("a database");
    let hash = server::password::hash("clover").expect("hashed");
    store::teacher::create(&scratch.db, "orla", "Orla Fenwick", &hash).await.expect("kept");
    let app = |db: &store::Db| router(App::new(db.clone(), Site::default()), Path::new("/nowhere"));
    let (first, second) = (app(&scratch.db), app(&scratch.db));
    let mut orla = Teacher { app: first, cookie: String::new() };
    let given = json!({"sign_in": "orla", "password": "clover"});
    orla.cookie = orla.raw("POST", "/api/sign-in", Some(given)).await.2.expect("a cookie");
    let lesson = orla.lesson("Expanding brackets", 7).await;
    let id = orla.ask("POST", "/api/live", Some(json!({"lesson": lesson}))).await["id"].clone();
    let view = orla.ask("GET", &format!("/api/live/{id}"), None).await;
    let code = view["live"]["code"].as_str().expect("a code").to_owned();
    // Students on both, all at once: every number is taken once, and both servers know of all.
    let body = json!({"wanted": {"from": "typed", "text": "What now?"}});
    orla.ask("POST", &format!("/api/live/{id}/questions"), Some(body)).await;
    let all = (0..12).map(|n| {
        let app = if n % 2 == 0 { orla.app.clone() } else { second.clone() };
        let code = code.clone();
        tokio::spawn(async move {
            let mut one = Teacher { app, cookie: String::new() };
            let join = format!("/api/join/{code}");
            let name = Some(json!({"name": format!("Student {n}")}));
            one.cookie = one.raw("POST", &join, name).await.2.expect("a cookie");
            for try_ in 0..3 {
                let given = json!({"by": "text", "text": format!("Answer {try_}")});
                let does = json!({"kind": "gave", "question": 1, "given": given});
                let body = json!({"token": format!("token{n:02}{try_:02}"), "does": does});
                // The question reaches the other server a moment later.
                for _ in 0..50 {
                    let path = format!("{join}/events");
                    if one.raw("POST", &path, Some(body.clone())).await.0 == StatusCode::OK {
                        break;
                    }
                    tokio::time::sleep(Duration::from_millis(20)).await;
                }
            }
        })
    });
    for one in all.collect::<Vec<_>>() {
        one.await.expect("done");
    }
    let on_second = Teacher { app: second, cookie: orla.cookie.clone() };
    for server in [&orla, &on_second] {
        let whole = async {
            loop {
                let view = server.ask("GET", &format!("/api/live/{id}"), None).await;
                let tries: u64 = view["students"]
                    .as_array()
                    .expect("students")
                    .iter()
                    .filter_map(|one| one["tries"].as_u64())
                    .sum();
                if tries == 36 {
                    return view;
                }
                tokio::time::sleep(Duration::from_millis(20)).await;
            }
        };
        let view = tokio::time::timeout(Duration::from_secs(20), whole).await.expect("all of it");
        assert_eq!(view["students"].as_array().map(Vec::len), Some(12));
    }
    let live = store::LiveId(id.as_u64().expect("an id"));
    let events = store::live::since(&scratch.db, live, 0).await.expect("events");
    let numbers: Vec<u64> = events.iter().map(|one| one.seq).collect();
    assert_eq!(numbers, (1..=numbers.len() as u64).collect::<Vec<_>>());
    assert_eq!(events.len(), 2 + 12 + 36, "each once");
}
