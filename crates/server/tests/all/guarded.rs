//! Every route asks who may; every input has a limit; what cannot be done is said in one sentence.

use axum::Router;
use axum::body::{Body, to_bytes};
use axum::http::{Request, StatusCode, header};
use scratch::{Scratch, scratch};
use serde_json::{Value, json};
use server::{App, BODY_BYTES, Site, openapi_json, password, router};
use std::path::Path;
use tower::ServiceExt;

struct World {
    app: Router,
    scratch: Scratch,
}

/// What came back: status, body, and the session cookie if one was set.
struct Answer {
    status: StatusCode,
    body: Value,
    cookie: Option<String>,
}

impl Answer {
    fn says(&self) -> &str {
        self.body["says"].as_str().unwrap_or_default()
    }
}

async fn world() -> World {
    let scratch = scratch().await.expect("a database");
    for name in ["orla", "other"] {
        let hash = password::hash("clover").expect("hashed");
        store::teacher::create(&scratch.db, name, name, &hash).await.expect("kept");
    }
    let site = Site { hosts: vec!["honey.example".into()], ..Site::default() };
    let app = router(App::new(scratch.db.clone(), site), Path::new("/nowhere"));
    World { app, scratch }
}

impl World {
    async fn send(
        &self,
        method: &str,
        path: &str,
        cookie: Option<&str>,
        body: Option<Value>,
    ) -> Answer {
        let mut request =
            Request::builder().method(method).uri(path).header(header::HOST, "localhost");
        if let Some(cookie) = cookie {
            request = request.header(header::COOKIE, cookie);
        }
        let request = match body {
            Some(body) => request
                .header(header::CONTENT_TYPE, "application/json")
                .body(Body::from(body.to_string())),
            None => request.body(Body::empty()),
        };
        self.answer(request.expect("a request")).await
    }

    async fn answer(&self, request: Request<Body>) -> Answer {
        let response = self.app.clone().oneshot(request).await.expect("an answer");
        let set = response.headers().get(header::SET_COOKIE).and_then(|value| value.to_str().ok());
        let cookie = set.map(str::to_owned);
        let status = response.status();
        let bytes = to_bytes(response.into_body(), 1 << 24).await.expect("a body");
        Answer { status, body: serde_json::from_slice(&bytes).unwrap_or_default(), cookie }
    }

    /// The cookie of a teacher who has signed in.
    async fn sign_in(&self, name: &str) -> String {
        let given = json!({"sign_in": name, "password": "clover"});
        let answer = self.send("POST", "/api/sign-in", None, Some(given)).await;
        assert_eq!(answer.status, StatusCode::OK, "{}", answer.body);
        let cookie = answer.cookie.expect("a cookie");
        for part in ["HttpOnly", "SameSite=Lax", "Path=/"] {
            assert!(cookie.contains(part), "{cookie}");
        }
        cookie.split(';').next().expect("a value").to_owned()
    }

    async fn lesson(&self, cookie: &str) -> u64 {
        let new = json!({"topic": "Ratio", "grade": 6, "strand": "fractions_ratio", "minutes": 45});
        let made = self.send("POST", "/api/lessons", Some(cookie), Some(new)).await;
        made.body["id"].as_u64().expect("an id")
    }

    async fn ladder(&self, cookie: &str, lesson: u64) -> (u64, String) {
        let order =
            json!({"skills": ["equations.linear"], "grip": 2, "tilt": 0, "climb": 1, "seed": 3});
        let plan = json!({"title": "", "order": order, "rungs": [], "next_key": 1});
        let new = json!({"title": "Climb", "plan": plan});
        let path = format!("/api/lessons/{lesson}/ladders");
        let made = self.send("POST", &path, Some(cookie), Some(new)).await;
        let id = made.body["id"].as_u64().expect("an id");
        let opened = self.send("GET", &format!("/api/ladders/{id}"), Some(cookie), None).await;
        (id, opened.body["desk"].as_str().expect("a link").to_owned())
    }
}

/// Every operation of the API: its method and its path with plausible values.
fn operations() -> Vec<(String, String)> {
    let description: Value = serde_json::from_str(&openapi_json().expect("plain")).expect("JSON");
    let mut found = Vec::new();
    for (path, methods) in description["paths"].as_object().expect("paths") {
        for method in methods.as_object().expect("methods").keys() {
            let path =
                path.replace("{id}", "1").replace("{link}", "nothing").replace("{number}", "1");
            let path = path.replace("{desk}", "1").replace("{student}", "1");
            let path = path.replace("{rung}", "1").replace("{name}", "nothing");
            found.push((method.to_uppercase(), path));
        }
    }
    found
}

#[tokio::test]
async fn every_route_for_teachers_asks_for_a_sign_in() {
    let world = world().await;
    let mut asked = 0;
    for (method, path) in operations() {
        let is_open = ["/api/sign-", "/api/desk/", "/api/class/", "/api/join/", "/api/password/"]
            .iter()
            .any(|open| path.starts_with(open))
            || path == "/api/site"
            || (method == "GET" && path.starts_with("/api/shared/"));
        if is_open {
            continue;
        }
        let answer = world.send(&method, &path, None, Some(json!({}))).await;
        assert_eq!(answer.status, StatusCode::UNAUTHORIZED, "{method} {path}");
        assert_eq!(answer.says(), "Please sign in first.");
        asked += 1;
    }
    assert!(asked >= 12, "{asked}");
}

#[tokio::test]
async fn a_wrong_password_and_a_wrong_name_are_told_alike() {
    let world = world().await;
    let mut told = Vec::new();
    for (name, word) in
        [("orla", "heather"), ("nobody", "clover"), ("", ""), ("orla", &"x".repeat(9_000))]
    {
        let given = json!({"sign_in": name, "password": word});
        let answer = world.send("POST", "/api/sign-in", None, Some(given)).await;
        assert_eq!(answer.status, StatusCode::UNAUTHORIZED);
        assert!(answer.cookie.is_none());
        told.push(answer.says().to_owned());
    }
    told.dedup();
    assert_eq!(told.len(), 1);
}

#[tokio::test]
async fn signing_out_ends_the_session_on_the_server() {
    let world = world().await;
    let cookie = world.sign_in("orla").await;
    assert_eq!(world.send("GET", "/api/me", Some(&cookie), None).await.status, StatusCode::OK);
    world.send("POST", "/api/sign-out", Some(&cookie), None).await;
    let after = world.send("GET", "/api/me", Some(&cookie), None).await;
    assert_eq!(after.status, StatusCode::UNAUTHORIZED);
}

#[tokio::test]
async fn somebody_elses_things_are_not_there() {
    let world = world().await;
    let (orla, other) = (world.sign_in("orla").await, world.sign_in("other").await);
    let lesson = world.lesson(&orla).await;
    let (ladder, _) = world.ladder(&orla, lesson).await;
    let opened = world.send("GET", &format!("/api/lessons/{lesson}"), Some(&orla), None).await;
    let changed = json!({"based_on": 1, "lesson": opened.body["lesson"]});
    let order =
        json!({"skills": ["equations.linear"], "grip": 1, "tilt": 0, "climb": 0, "seed": 1});
    let plan = json!({"title": "", "order": order, "rungs": [], "next_key": 1});
    let hung = json!({"title": "Mine", "plan": plan});
    let draft = json!({"based_on": 0, "plan": plan});
    for (method, path, body) in [
        ("GET", format!("/api/lessons/{lesson}"), None),
        ("PUT", format!("/api/lessons/{lesson}"), Some(changed)),
        ("POST", format!("/api/lessons/{lesson}/ladders"), Some(hung)),
        ("GET", format!("/api/lessons/{lesson}/file"), None),
        ("GET", format!("/api/lessons/{lesson}/bench"), None),
        ("GET", format!("/api/lessons/{lesson}/ladders"), None),
        ("GET", format!("/api/ladders/{ladder}/desks"), None),
        ("PUT", format!("/api/lessons/{lesson}/bench"), Some(draft)),
        ("GET", format!("/api/ladders/{ladder}"), None),
        ("GET", format!("/api/ladders/{ladder}/sheet.pdf"), None),
        ("GET", format!("/api/ladders/{ladder}/key.pdf?full=true"), None),
    ] {
        let answer = world.send(method, &path, Some(&other), body).await;
        assert_eq!(answer.status, StatusCode::NOT_FOUND, "{method} {path}");
        assert_eq!(answer.says(), "This is not here, or it is not yours.", "{method} {path}");
    }
    let stands =
        store::lesson::find(&world.scratch.db, store::TeacherId(1), store::LessonId(lesson))
            .await
            .expect("untouched");
    assert_eq!(stands.revision, 1);
}

#[tokio::test]
async fn a_request_from_another_page_changes_nothing() {
    let world = world().await;
    let cookie = world.sign_in("orla").await;
    let request = |origin: &str| {
        Request::builder()
            .method("POST")
            .uri("/api/lessons")
            .header(header::HOST, "honey.example:8080")
            .header(header::ORIGIN, origin)
            .header(header::COOKIE, &cookie)
            .header(header::CONTENT_TYPE, "application/json")
            .body(Body::from(r#"{"topic":"Ratio","grade":6,"strand":"number","minutes":45}"#))
            .expect("a request")
    };
    for origin in
        ["http://elsewhere.example", "null", "http://honey.example:8080.elsewhere.example"]
    {
        assert_eq!(world.answer(request(origin)).await.status, StatusCode::FORBIDDEN, "{origin}");
    }
    assert_eq!(world.answer(request("http://honey.example:8080")).await.status, StatusCode::OK);
    let shelf = world.send("GET", "/api/lessons", Some(&cookie), None).await;
    assert_eq!(shelf.body["entries"].as_array().map(Vec::len), Some(1));
}

#[tokio::test]
async fn every_answer_carries_the_policy() {
    let world = world().await;
    for path in ["/api/me", "/api/no-such-thing", "/"] {
        let request = Request::builder().uri(path).header(header::HOST, "127.0.0.1:8080");
        let request = request.body(Body::empty()).expect("a request");
        let response = world.app.clone().oneshot(request).await.expect("an answer");
        let policy = response.headers()[header::CONTENT_SECURITY_POLICY].to_str().expect("text");
        assert!(policy.contains("script-src 'self';") && policy.contains("object-src 'none'"));
        assert!(!policy.contains("unsafe-eval") && !policy.contains("script-src 'unsafe"));
        assert_eq!(response.headers()[header::X_CONTENT_TYPE_OPTIONS], "nosniff");
    }
    let nothing = world.send("GET", "/api/no-such-thing", None, None).await;
    assert_eq!(
        (nothing.status, nothing.says()),
        (StatusCode::NOT_FOUND, "There is nothing at this address.")
    );
}

#[tokio::test]
#[rustfmt::skip]
async fn bad_input_gets_a_sentence_and_changes_nothing() {
    let world = world().await;
    let cookie = world.sign_in("orla").await;
    let problem = |text: &str| Some(json!({"kind": "typed", "problem": {"text": text}}));
    let long = "1+".repeat(50_000);
    let drawn = |skills: &[&str], seed: u64| {
        let order = json!({"skills": skills, "grip": 1, "tilt": 0, "climb": 0, "seed": seed});
        let plan = json!({"title": "", "order": order, "rungs": [], "next_key": 1});
        Some(json!({"plan": plan, "change": {"kind": "draw", "order": order}}))
    };
    for (path, body, says) in [
        ("/api/examples", problem(""), "There is nothing on this line yet."),
        ("/api/examples", problem("3(2x"), "This “(” is never closed."),
        ("/api/examples", problem(&long), "Type a problem of at most 300 characters."),
        ("/api/examples", Some(json!([1, 2])), "This does not have the shape that was expected: invalid type: integer `1`, expected variant identifier."),
        ("/api/lessons", Some(json!({"topic": " ", "grade": 6, "strand": "number", "minutes": 45})), "Give the lesson a topic."),
        ("/api/lessons", Some(json!({"topic": "x", "grade": 6, "strand": "magic", "minutes": 45})), "This does not have the shape that was expected: unknown variant `magic`, expected one of `number`, `fractions_ratio`, `algebra`, `geometry`."),
        ("/api/bench/change", drawn(&[], 1), "Choose at least one skill and one rung."),
        ("/api/bench/change", drawn(&["nothing"], 1), "There is no skill called “nothing”."),
        ("/api/bench/change", drawn(&["pythagoras"], 1 << 60), "The seed is too large: use a number below 2^53."),
    ] {
        let answer = world.send("POST", path, Some(&cookie), body).await;
        assert_eq!((answer.status, answer.says()), (StatusCode::UNPROCESSABLE_ENTITY, says), "{path}");
    }
    let unread = world.send("POST", "/api/examples", Some(&cookie), problem("½ × (2x = 4")).await;
    assert_eq!((&unread.body["at"], &unread.body["mended"]), (&json!([4, 5]), &json!("½ × (2x) = 4")));
    let huge = json!({"kind": "typed", "problem": {"text": "x".repeat(BODY_BYTES)}});
    let answer = world.send("POST", "/api/examples", Some(&cookie), Some(huge)).await;
    assert_eq!((answer.status, answer.says()), (StatusCode::PAYLOAD_TOO_LARGE, "This is too large to be sent. Please split it."));
    assert_eq!(world.send("GET", "/api/lessons", Some(&cookie), None).await.body, json!({"entries": []}));
}

#[tokio::test]
async fn a_stale_save_is_told_and_a_forged_working_is_worked_anew() {
    let world = world().await;
    let cookie = world.sign_in("orla").await;
    let id = world.lesson(&cookie).await;
    let path = format!("/api/lessons/{id}");
    let mut lesson = world.send("GET", &path, Some(&cookie), None).await.body["lesson"].clone();
    let asked = json!({"kind": "typed", "problem": {"text": "3x + 2 = 14"}});
    let mut example =
        world.send("POST", "/api/examples", Some(&cookie), Some(asked)).await.body["example"]
            .clone();
    let honest = example["working"].clone();
    example["working"][1]["math"] = json!("3x = 13");
    lesson["slides"][0]["blocks"] = json!([{"kind": "worked_example", "example": example}]);
    let save = |based_on: u32| json!({"based_on": based_on, "lesson": lesson});
    let saved = world.send("PUT", &path, Some(&cookie), Some(save(1))).await;
    assert_eq!(saved.status, StatusCode::OK, "{}", saved.body);
    assert_eq!(saved.body["lesson"]["slides"][0]["blocks"][0]["example"]["working"], honest);
    assert_eq!(saved.body["checked"][0]["hold"], saved.body["checked"][0]["lines"]);
    // The same save once more: its answer was lost on the way.
    let known = world.send("PUT", &path, Some(&cookie), Some(save(1))).await;
    assert_eq!((known.status, &known.body["revision"]), (StatusCode::OK, &json!(2)));
    lesson["title"] = json!("Something else");
    let late = json!({"based_on": 1, "lesson": lesson});
    let stale = world.send("PUT", &path, Some(&cookie), Some(late)).await;
    assert_eq!(stale.status, StatusCode::CONFLICT);
    assert_eq!((&stale.body["kind"], &stale.body["revision"]), (&json!("stale"), &json!(2)));
}

#[tokio::test]
async fn a_desk_shows_no_answers_and_keeps_to_its_limits() {
    let world = world().await;
    let cookie = world.sign_in("orla").await;
    let lesson = world.lesson(&cookie).await;
    let (ladder, desk) = world.ladder(&cookie, lesson).await;
    let path = format!("/api{desk}");
    let before = world.send("GET", &path, None, None).await;
    assert_eq!((&before.body["rungs"], before.body.get("student")), (&json!([]), None));
    let write = |lines: Value| json!({"based_on": 0, "lines": lines});
    let rung = format!("{path}/rungs/1");
    let line = json!([{"text": "x = 1"}]);
    let uninvited = world.send("PUT", &rung, None, Some(write(line.clone()))).await;
    assert_eq!(uninvited.status, StatusCode::UNAUTHORIZED);
    for name in ["", "  ", "x\u{7}y", &"n".repeat(41)] {
        let joined =
            world.send("POST", &format!("{path}/join"), None, Some(json!({"name": name}))).await;
        assert_eq!(joined.status, StatusCode::UNPROCESSABLE_ENTITY, "{name:?}");
    }
    let joined =
        world.send("POST", &format!("{path}/join"), None, Some(json!({"name": " Hana "}))).await;
    assert_eq!(
        (&joined.body["student"], joined.body["rungs"].as_array().map(Vec::len)),
        (&json!("Hana"), Some(3))
    );
    let shown = joined.body.to_string();
    for secret in ["answer", "working", "choices", "\"line\"", "seed"] {
        assert!(!shown.contains(secret), "{secret} in {shown}");
    }
    let hana = joined.cookie.expect("a cookie");
    let hana = hana.split(';').next();
    let many = json!(vec![json!({"text": "x"}); 61]);
    let long = json!([{"text": "9".repeat(100_000)}]);
    for (path, lines, status) in [
        (&rung, many, StatusCode::UNPROCESSABLE_ENTITY),
        (&rung, long, StatusCode::UNPROCESSABLE_ENTITY),
        (&format!("{path}/rungs/0"), line.clone(), StatusCode::NOT_FOUND),
        (&format!("{path}/rungs/4"), line.clone(), StatusCode::NOT_FOUND),
    ] {
        let refused = world.send("PUT", path, hana, Some(write(lines))).await;
        assert_eq!(refused.status, status, "{path}");
        assert!(!refused.says().is_empty());
    }
    let kept = world.send("PUT", &rung, hana, Some(write(line.clone()))).await;
    assert_eq!((&kept.body["revision"], kept.status), (&json!(1), StatusCode::OK));
    let again = world.send("PUT", &rung, hana, Some(write(line))).await;
    assert_eq!((&again.body["revision"], again.status), (&json!(1), StatusCode::OK), "known");
    let again = world.send("PUT", &rung, hana, Some(write(json!([{"text": "x = 2"}])))).await;
    assert_eq!(again.status, StatusCode::CONFLICT, "the other window's lines stand");
    let seen =
        world.send("GET", &format!("/api/ladders/{ladder}/desks"), Some(&cookie), None).await;
    assert_eq!(seen.body["entries"][0]["student"], "Hana");
    assert_eq!(seen.body["entries"][0]["rungs"][0]["lines"][0]["plain"], "x = 1");
    // Who leaves takes the seat along: the next one at this device starts afresh.
    world.send("POST", &format!("{path}/leave"), hana, None).await;
    assert!(world.send("GET", &path, hana, None).await.body.get("student").is_none());
}
