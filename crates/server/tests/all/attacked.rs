//! What an intruder and an unlucky class tried, one test each.

use crate::common::{Teacher, teacher};
use axum::body::Body;
use axum::http::{Request, StatusCode, header};
use serde_json::{Value, json};
use server::{App, Site, router};
use std::path::Path;
use tower::ServiceExt;

/// A lesson with a ladder on it: the lesson, the ladder, and the address of its desk.
async fn hung(teacher: &Teacher) -> (u64, u64, String) {
    let new = json!({"topic": "Ratio", "grade": 6, "strand": "fractions_ratio", "minutes": 45});
    let lesson =
        teacher.ask("POST", "/api/lessons", Some(new)).await["id"].as_u64().expect("an id");
    let order =
        json!({"skills": ["equations.linear"], "grip": 1, "tilt": 0, "climb": 0, "seed": 3});
    let plan = json!({"title": "", "order": order, "rungs": [], "next_key": 1});
    let path = format!("/api/lessons/{lesson}/ladders");
    let new = json!({"title": "Climb", "plan": plan});
    let ladder = teacher.ask("POST", &path, Some(new)).await["id"].as_u64().expect("an id");
    let opened = teacher.ask("GET", &format!("/api/ladders/{ladder}"), None).await;
    (lesson, ladder, format!("/api{}", opened["desk"].as_str().expect("a link")))
}

/// Somebody who sits down: what is answered, and who they are from then on.
async fn join(
    teacher: &Teacher,
    cookie: &str,
    desk: &str,
    who: Value,
) -> (StatusCode, Value, String) {
    let somebody = Teacher { app: teacher.app.clone(), cookie: cookie.to_owned() };
    let (status, bytes, set) = somebody.raw("POST", &format!("{desk}/join"), Some(who)).await;
    let cookie = set.unwrap_or_else(|| cookie.to_owned());
    (status, serde_json::from_slice(&bytes).unwrap_or_default(), cookie)
}

#[tokio::test]
async fn finding_1_a_hostile_figure_is_refused_where_it_enters() {
    let teacher = teacher().await;
    let (lesson, ..) = hung(&teacher).await;
    let path = format!("/api/lessons/{lesson}");
    let opened = teacher.ask("GET", &path, None).await;
    for (figure, told) in [
        (
            json!({"kind": "circle", "arc": [0, 1e12], "radius": "", "diameter": "", "arc_label": "", "central": "",
                "inscribed": "", "inner_label": ""}),
            "direction",
        ),
        (
            json!({"kind": "groups", "names": ["a", "b"], "each": [2, 3], "groups": 4_000_000_000_u32}),
            "groups",
        ),
        (
            json!({"kind": "family_tree", "nodes": vec![json!({"value": "a", "of": 0}); 9_000]}),
            "parts of a tree",
        ),
    ] {
        let mut changed = opened["lesson"].clone();
        changed["slides"][0]["blocks"] =
            json!([{"kind": "picture", "figure": figure, "caption": ""}]);
        let body = json!({"based_on": opened["revision"], "lesson": changed});
        let (status, bytes, _) = teacher.raw("PUT", &path, Some(body)).await;
        let failure: Value = serde_json::from_slice(&bytes).expect("a failure");
        assert_eq!(status, StatusCode::UNPROCESSABLE_ENTITY, "{failure}");
        assert!(failure["says"].as_str().is_some_and(|says| says.contains(told)), "{failure}");
        assert!(
            failure["place"].as_str().is_some_and(|at| at.starts_with("lesson.slides[0]")),
            "{failure}"
        );
    }
    assert_eq!(teacher.ask("GET", &path, None).await["lesson"], opened["lesson"]);
}

#[tokio::test]
async fn finding_2_a_text_full_of_sums_is_looked_over() {
    let teacher = teacher().await;
    for text in
        [format!("Solve ${}1$", "1+".repeat(9_000)), "1 = ".repeat(20_000), ">".repeat(200_000)]
    {
        teacher.ask("POST", "/api/second-look/text", Some(json!({"text": text}))).await;
    }
    let long = json!({"text": "a".repeat(200_001)});
    let (status, _, _) = teacher.raw("POST", "/api/second-look/text", Some(long)).await;
    assert_eq!(status, StatusCode::UNPROCESSABLE_ENTITY);
}

#[tokio::test]
async fn finding_4_a_line_that_is_too_dear_is_told_and_the_others_are_judged() {
    let teacher = teacher().await;
    let (_, _, desk) = hung(&teacher).await;
    let (_, joined, cookie) = join(&teacher, "", &desk, json!({"name": "Hana"})).await;
    assert!(joined["rungs"][0]["prompt"].is_string());
    let hana = Teacher { app: teacher.app.clone(), cookie };
    let dear = format!("3 1/{} = x", "7".repeat(3_900));
    let tower = format!("{}x = 1", "10^".repeat(28));
    let lines: Vec<Value> = [dear.as_str(), &tower, "2 = 2", "1 + 1 = 3"]
        .iter()
        .map(|text| json!({"text": text}))
        .collect();
    let body = json!({"based_on": 0, "lines": lines});
    let kept = hana.ask("PUT", &format!("{desk}/rungs/1"), Some(body)).await;
    let words: Vec<&str> = kept["judgement"]["lines"]
        .as_array()
        .expect("lines")
        .iter()
        .map(|line| line["verdict"]["word"].as_str().expect("a word"))
        .collect();
    assert_eq!(words.len(), 4);
    assert_eq!(words[0], "cant_tell", "{kept}");
    assert_eq!(words[3], "breaks");
    let says = &kept["judgement"]["lines"][0]["verdict"]["says"];
    assert_eq!(says, "This line is too large to be checked. Try it in smaller steps.");
}

#[tokio::test]
async fn finding_5_one_browser_does_not_take_all_desks() {
    let teacher = teacher().await;
    let (_, ladder, desk) = hung(&teacher).await;
    let (_, _, mut cookie) = join(&teacher, "", &desk, json!({"name": "Wasp 0"})).await;
    let mut refused = None;
    for at in 1..30 {
        let (status, body, same) =
            join(&teacher, &cookie, &desk, json!({"name": format!("Wasp {at}")})).await;
        cookie = same;
        if status != StatusCode::OK {
            refused = Some((at, status, body));
            break;
        }
    }
    let (at, status, body) = refused.expect("it ends");
    assert!(at <= 13, "{at} desks");
    assert_eq!((status, &body["kind"]), (StatusCode::TOO_MANY_REQUESTS, &json!("too_often")));
    assert!(body["says"].as_str().is_some_and(|says| says.contains("minutes")), "{body}");
    // Another browser sits down as before, and the teacher takes away what is too much.
    let (status, ..) = join(&teacher, "", &desk, json!({"name": "Hana"})).await;
    assert_eq!(status, StatusCode::OK);
    let path = format!("/api/ladders/{ladder}/desks");
    let seen = teacher.ask("GET", &path, None).await;
    for entry in
        seen["entries"].as_array().expect("desks").iter().filter(|one| one["student"] != "Hana")
    {
        let one = format!("{path}/{}", entry["id"]);
        assert_eq!(teacher.raw("DELETE", &one, None).await.0, StatusCode::NO_CONTENT);
        assert_eq!(teacher.raw("DELETE", &one, None).await.0, StatusCode::NOT_FOUND);
    }
    let left = teacher.ask("GET", &path, None).await;
    assert_eq!(left["entries"].as_array().map(Vec::len), Some(1));
}

#[tokio::test]
async fn finding_5_a_link_is_renewed_and_the_class_comes_back_with_names_and_codes() {
    let teacher = teacher().await;
    let (_, ladder, desk) = hung(&teacher).await;
    let (_, joined, cookie) = join(&teacher, "", &desk, json!({"name": "Hana"})).await;
    let code = joined["code"].as_str().expect("a code").to_owned();
    let hana = Teacher { app: teacher.app.clone(), cookie };
    let lines = json!({"based_on": 0, "lines": [{"text": "x = 1"}]});
    hana.ask("PUT", &format!("{desk}/rungs/1"), Some(lines)).await;
    let renewed = teacher.ask("POST", &format!("/api/ladders/{ladder}/link"), None).await;
    let new = format!("/api{}", renewed["desk"].as_str().expect("a link"));
    assert_ne!(new, desk);
    assert_eq!(hana.raw("GET", &desk, None).await.0, StatusCode::NOT_FOUND);
    // The name alone is somebody's already.
    let (status, body, _) = join(&teacher, "", &new, json!({"name": "hana"})).await;
    assert_eq!((status, &body["kind"]), (StatusCode::CONFLICT, &json!("taken")));
    let (status, ..) = join(&teacher, "", &new, json!({"name": "Hana", "code": "zzzz"})).await;
    assert_eq!(status, StatusCode::UNPROCESSABLE_ENTITY);
    let back = json!({"name": " hana", "code": format!(" {} ", code.to_uppercase())});
    let (status, body, _) = join(&teacher, "", &new, back).await;
    assert_eq!((status, &body["student"]), (StatusCode::OK, &json!("Hana")));
    assert_eq!(body["written"][0]["lines"][0]["text"], "x = 1");
    assert_eq!(body["code"], json!(code));
    // Codes are not guessed.
    let mut told = StatusCode::OK;
    for guess in 0..12 {
        let guess = json!({"name": "Hana", "code": format!("aa{guess:02}")});
        told = join(&teacher, "", &new, guess).await.0;
    }
    assert_eq!(told, StatusCode::TOO_MANY_REQUESTS);
}

#[tokio::test]
async fn finding_7_a_password_is_not_guessed() {
    let teacher = teacher().await;
    let nobody = Teacher { app: teacher.app.clone(), cookie: String::new() };
    let mut told = Vec::new();
    for _ in 0..12 {
        let given = json!({"sign_in": "Orla", "password": "heather"});
        told.push(nobody.raw("POST", "/api/sign-in", Some(given)).await.0);
    }
    // The right one before them began to count anew.
    assert_eq!(told[..10], [StatusCode::UNAUTHORIZED; 10]);
    assert_eq!(told[10..], [StatusCode::TOO_MANY_REQUESTS; 2]);
    let right = json!({"sign_in": "orla", "password": "clover"});
    let (status, bytes, _) = nobody.raw("POST", "/api/sign-in", Some(right)).await;
    let failure: Value = serde_json::from_slice(&bytes).expect("a failure");
    assert_eq!((status, &failure["kind"]), (StatusCode::TOO_MANY_REQUESTS, &json!("too_often")));
    // Whoever is in stays in.
    teacher.ask("GET", "/api/me", None).await;
}

/// The server with a built front end.
async fn with_files(site: Site) -> axum::Router {
    let folder = std::env::temp_dir().join(format!("honey-ladder-{}", store::link()));
    std::fs::create_dir_all(folder.join("assets")).expect("a folder");
    std::fs::write(folder.join("index.html"), "<title>Honey Ladder</title>").expect("written");
    std::fs::write(folder.join("assets/a-1.js"), "let plain = 1").expect("written");
    std::fs::write(folder.join("assets/a-1.js.br"), "pressed").expect("written");
    let db = scratch::scratch().await.expect("a database").db;
    router(App::new(db, site), Path::new(&folder))
}

async fn get(
    app: &axum::Router,
    path: &str,
    host: &str,
) -> (StatusCode, axum::http::HeaderMap, String) {
    let request = Request::builder()
        .uri(path)
        .header(header::HOST, host)
        .header(header::ACCEPT_ENCODING, "br")
        .body(Body::empty())
        .expect("a request");
    let response = app.clone().oneshot(request).await.expect("an answer");
    let (status, headers) = (response.status(), response.headers().clone());
    let bytes = axum::body::to_bytes(response.into_body(), 1 << 20).await.expect("a body");
    (status, headers, String::from_utf8_lossy(&bytes).into_owned())
}

#[tokio::test]
async fn findings_11_and_19_files_are_there_or_not_and_come_as_they_were_pressed() {
    let app = with_files(Site::default()).await;
    let (status, headers, _) = get(&app, "/assets/gone-2.js", "localhost").await;
    assert_eq!(status, StatusCode::NOT_FOUND);
    assert_eq!(headers[header::CACHE_CONTROL], "no-store");
    let (status, headers, body) = get(&app, "/assets/a-1.js", "localhost").await;
    assert_eq!((status, body.as_str()), (StatusCode::OK, "pressed"));
    assert_eq!(headers[header::CONTENT_ENCODING], "br");
    assert!(headers[header::CACHE_CONTROL].to_str().is_ok_and(|text| text.contains("immutable")));
    // Every other address is the front end's own.
    let (status, headers, body) = get(&app, "/lessons/3", "localhost").await;
    assert_eq!((status, body.contains("Honey Ladder")), (StatusCode::OK, true));
    assert_eq!(headers[header::CACHE_CONTROL], "no-cache");
}

#[tokio::test]
async fn findings_12_and_16_an_image_that_failed_is_not_kept_and_a_large_photo_is_told() {
    let teacher = teacher().await;
    let request = Request::builder()
        .uri("/api/images/1")
        .header(header::HOST, "localhost")
        .body(Body::empty())
        .expect("a request");
    let response = teacher.app.clone().oneshot(request).await.expect("an answer");
    assert_eq!(response.headers()[header::CACHE_CONTROL], "no-store");
    let mut photo = b"\xff\xd8\xff\xe0".to_vec();
    photo.resize(3 << 20, 0);
    let (status, bytes) = teacher.put_in("/api/images", &photo).await;
    let failure: Value = serde_json::from_slice(&bytes).expect("a failure");
    assert_eq!(status, StatusCode::UNPROCESSABLE_ENTITY);
    assert_eq!(failure["says"], "This image is larger than 2 MB. Make it smaller first.");
}

#[tokio::test]
async fn finding_22_whoever_has_no_desk_gets_no_session() {
    let teacher = teacher().await;
    let nobody = Teacher { app: teacher.app.clone(), cookie: String::new() };
    let (status, _, cookie) = nobody.raw("POST", "/api/desk/nothing/leave", None).await;
    assert_eq!((status, cookie), (StatusCode::NO_CONTENT, None));
}

#[tokio::test]
async fn the_site_answers_by_its_own_names_alone_and_says_what_browsers_may() {
    let site = Site {
        behind_proxy: true,
        hosts: vec!["honey.example".into()],
        tells_demo: true,
        outbox: None,
    };
    let app = with_files(site).await;
    for (host, is_ours) in [
        ("honey.example", true),
        ("Honey.Example:443", true),
        ("localhost:8080", true),
        ("127.0.0.1", true),
        ("[::1]:8080", true),
        ("192.168.3.4:80", true),
        ("elsewhere.example", false),
        ("honey.example.elsewhere.example", false),
        ("localhost.elsewhere.example:80", false),
        ("", false),
        ("honey.example:80@elsewhere.example", false),
    ] {
        let (status, headers, body) = get(&app, "/api/site", host).await;
        assert_eq!(status == StatusCode::OK, is_ours, "{host}: {status}");
        assert_eq!(headers["cross-origin-opener-policy"], "same-origin");
        assert!(
            headers["permissions-policy"].to_str().is_ok_and(|text| text.contains("camera=()"))
        );
        assert!(headers.contains_key(header::STRICT_TRANSPORT_SECURITY));
        assert_eq!(body.contains("\"demo\":true"), is_ours);
    }
    let plain = with_files(Site::default()).await;
    let (_, headers, body) = get(&plain, "/api/site", "localhost").await;
    assert!(!headers.contains_key(header::STRICT_TRANSPORT_SECURITY));
    assert!(body.starts_with("{\"demo\":false"), "{body}");
}
