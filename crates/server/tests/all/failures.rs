//! Every failure is one [`Failure`]: a kind, and a sentence that says what to do. Looked at over every operation that the
//! API describes, so that a new route cannot answer in another way.
//!
//! [`Failure`]: the schema of that name in the description

use crate::common::{Teacher, teacher};
use axum::http::StatusCode;
use serde_json::{Value, json};

/// An operation of the API.
struct Operation {
    method: String,
    path: String,
    has_body: bool,
    queries: Vec<String>,
}

fn operations() -> Vec<Operation> {
    let described: Value =
        serde_json::from_str(&server::openapi_json().expect("written")).expect("JSON");
    let mut found = Vec::new();
    for (path, methods) in described["paths"].as_object().expect("paths") {
        for (method, operation) in methods.as_object().expect("methods") {
            let parameters = operation["parameters"].as_array().cloned().unwrap_or_default();
            let queries = parameters.iter().filter(|one| one["in"] == "query");
            found.push(Operation {
                method: method.to_uppercase(),
                path: path.clone(),
                has_body: operation.get("requestBody").is_some(),
                queries: queries
                    .filter_map(|one| one["name"].as_str().map(str::to_owned))
                    .collect(),
            });
        }
    }
    assert!(found.len() > 40, "{}", found.len());
    found
}

/// The path with that in every place where something is named.
fn filled(path: &str, with: &str) -> String {
    path.split('/')
        .map(|part| if part.starts_with('{') { with } else { part })
        .collect::<Vec<_>>()
        .join("/")
}

/// The failure that is answered: everything that a browser relies on is checked here.
async fn failure(
    teacher: &Teacher,
    method: &str,
    path: &str,
    body: Option<Value>,
) -> (StatusCode, Value) {
    let (status, bytes, _) = teacher.raw(method, path, body).await;
    let what = format!("{method} {path}: {status} {}", String::from_utf8_lossy(&bytes));
    assert!(status.is_client_error(), "{what}");
    let failure: Value =
        serde_json::from_slice(&bytes).unwrap_or_else(|_| panic!("no JSON: {what}"));
    let kinds = ["sign_in", "not_found", "stale", "bad", "too_large", "too_slow", "internal"];
    assert!(kinds.contains(&failure["kind"].as_str().unwrap_or_default()), "{what}");
    let says = failure["says"].as_str().unwrap_or_default();
    assert!(says.ends_with(['.', '?']) && says.len() > 10, "{what}");
    for ours in ["serde", "sqlx", "SQL", "axum", "deserialize", "unwrap", "::"] {
        assert!(!says.contains(ours), "{what}");
    }
    (status, failure)
}

#[tokio::test]
async fn an_address_that_is_none() {
    let teacher = teacher().await;
    // Who leaves a desk where nobody sits has left it.
    let is_named = |one: &&Operation| one.path.contains('{') && !one.path.ends_with("/leave");
    for operation in operations().iter().filter(is_named) {
        for nothing in ["none", "-1", "99999999999999999999999", "%00", "4711"] {
            let path = filled(&operation.path, nothing);
            let body = operation.has_body.then(|| json!({}));
            failure(&teacher, &operation.method, &path, body).await;
        }
    }
}

#[tokio::test]
async fn a_way_that_an_address_does_not_know() {
    let teacher = teacher().await;
    let all = operations();
    for operation in &all {
        let known =
            |method: &str| all.iter().any(|one| one.path == operation.path && one.method == method);
        for method in
            ["GET", "POST", "PUT", "DELETE", "PATCH"].into_iter().filter(|way| !known(way))
        {
            let path = filled(&operation.path, "1");
            let (status, _) = failure(&teacher, method, &path, None).await;
            // Another address may know it: `/api/lessons/file` is one of the shape `/api/lessons/{id}`.
            assert!(
                [StatusCode::METHOD_NOT_ALLOWED, StatusCode::NOT_FOUND].contains(&status),
                "{method} {path}: {status}"
            );
        }
    }
}

#[tokio::test]
async fn a_body_that_does_not_fit() {
    let teacher = teacher().await;
    for operation in operations().iter().filter(|one| one.has_body) {
        if operation.path.contains("/images") {
            continue; // any bytes fit there; what is no image is told in the test of images
        }
        let path = filled(&operation.path, "1");
        for odd in [
            json!({}),
            json!([]),
            json!(null),
            json!("text"),
            json!({"lesson": 3, "based_on": "x"}),
        ] {
            let (status, failure) = failure(&teacher, &operation.method, &path, Some(odd)).await;
            if status == StatusCode::UNPROCESSABLE_ENTITY
                && failure["says"].as_str().is_some_and(|says| says.contains("shape"))
            {
                assert!(failure["place"].is_string(), "{} {path}: {failure}", operation.method);
            }
        }
    }
}

#[tokio::test]
async fn a_body_that_is_no_json() {
    let teacher = teacher().await;
    for operation in operations().iter().filter(|one| one.has_body) {
        let path = filled(&operation.path, "1");
        let (status, bytes) = teacher.put_in(&path, b"{\"lesson\": ").await;
        let failure: Value = serde_json::from_slice(&bytes).unwrap_or_default();
        assert!(status.is_client_error(), "{path}: {status}");
        assert!(failure["says"].is_string(), "{} {path}: {status} {failure}", operation.method);
    }
}

#[tokio::test]
async fn a_query_that_does_not_fit() {
    let teacher = teacher().await;
    let mut asked = 0;
    for operation in
        operations().iter().filter(|one| one.queries.iter().any(|name| name == "after"))
    {
        let path = filled(&operation.path, "1");
        for after in
            ["none", "1-2-3-4-5-6-7", "%F0%9F%90%9D", "-", "99999999999999999999999999999999"]
        {
            failure(&teacher, &operation.method, &format!("{path}?after={after}"), None).await;
            asked += 1;
        }
    }
    assert!(asked >= 10, "{asked}");
}

#[tokio::test]
async fn the_place_in_the_body_is_told() {
    let teacher = teacher().await;
    let id = teacher.lesson("Ratio", 6).await;
    let path = format!("/api/lessons/{id}");
    let mut lesson = teacher.ask("GET", &path, None).await["lesson"].clone();
    lesson["slides"][0]["minutes"] = json!("long");
    let body = json!({"based_on": 1, "lesson": lesson});
    let (status, failure) = failure(&teacher, "PUT", &path, Some(body)).await;
    assert_eq!(status, StatusCode::UNPROCESSABLE_ENTITY);
    assert_eq!(failure["place"], "lesson.slides[0].minutes");
    assert_eq!(teacher.ask("GET", &path, None).await["revision"], 1, "nothing was changed");
}

#[tokio::test]
async fn nobody_who_is_not_signed_in_learns_what_is_there() {
    let mut nobody = teacher().await;
    let id = nobody.lesson("Ratio", 6).await;
    nobody.cookie = String::new();
    let mut guarded = 0;
    for operation in operations() {
        let open = ["/api/sign-in", "/api/sign-out", "/api/desk", "/api/site"];
        if open.iter().any(|path| operation.path.starts_with(path)) {
            continue;
        }
        let mut told = Vec::new();
        for id in [id.to_string(), "4711".to_owned()] {
            let path = filled(&operation.path, &id);
            let (status, bytes, _) =
                nobody.raw(&operation.method, &path, operation.has_body.then(|| json!({}))).await;
            assert!(status.is_client_error(), "{} {path}: {status}", operation.method);
            told.push((status, bytes));
        }
        assert_eq!(told[0], told[1], "{} {}", operation.method, operation.path);
        guarded += 1;
    }
    assert!(guarded > 30, "{guarded}");
}
