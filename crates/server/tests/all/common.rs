//! A signed-in teacher in front of the server, for tests of the API.

use axum::Router;
use axum::body::{Body, to_bytes};
use axum::http::{Request, StatusCode, header};
use scratch::scratch;
use serde_json::{Value, json};
use server::{App, Site, password, router};
use std::path::Path;
use tower::ServiceExt;

/// A teacher who is signed in.
pub struct Teacher {
    /// The server.
    pub app: Router,
    /// What says who asks.
    pub cookie: String,
}

/// Somebody new, on an empty database.
pub async fn teacher() -> Teacher {
    let db = scratch().await.expect("a database").db;
    let hash = password::hash("clover").expect("hashed");
    store::teacher::create(&db, "orla", "Orla Fenwick", &hash).await.expect("kept");
    let app = router(App::new(db, Site::default()), Path::new("/nowhere"));
    let mut teacher = Teacher { app, cookie: String::new() };
    let given = json!({"sign_in": "orla", "password": "clover"});
    let (_, _, cookie) = teacher.raw("POST", "/api/sign-in", Some(given)).await;
    teacher.cookie = cookie.expect("a cookie");
    teacher
}

impl Teacher {
    /// What is answered, with the cookie that comes along.
    pub async fn raw(
        &self,
        method: &str,
        path: &str,
        body: Option<Value>,
    ) -> (StatusCode, Vec<u8>, Option<String>) {
        let request = Request::builder()
            .method(method)
            .uri(path)
            .header(header::HOST, "localhost")
            .header(header::COOKIE, &self.cookie)
            .header(header::CONTENT_TYPE, "application/json")
            .body(Body::from(body.map(|b| b.to_string()).unwrap_or_default()))
            .expect("a request");
        self.send(request).await
    }

    /// Sends bytes as they are, as a file is sent.
    pub async fn put_in(&self, path: &str, bytes: &[u8]) -> (StatusCode, Vec<u8>) {
        let request = Request::builder()
            .method("POST")
            .uri(path)
            .header(header::HOST, "localhost")
            .header(header::COOKIE, &self.cookie)
            .header(header::CONTENT_TYPE, "application/octet-stream")
            .body(Body::from(bytes.to_vec()))
            .expect("a request");
        let (status, bytes, _) = self.send(request).await;
        (status, bytes)
    }

    async fn send(&self, request: Request<Body>) -> (StatusCode, Vec<u8>, Option<String>) {
        let response = self.app.clone().oneshot(request).await.expect("an answer");
        let cookie = response
            .headers()
            .get(header::SET_COOKIE)
            .and_then(|value| value.to_str().ok())
            .and_then(|text| text.split(';').next())
            .map(str::to_owned);
        let status = response.status();
        let bytes = to_bytes(response.into_body(), 1 << 24).await.expect("a body");
        (status, bytes.to_vec(), cookie)
    }

    /// What is answered, where it goes well.
    pub async fn ask(&self, method: &str, path: &str, body: Option<Value>) -> Value {
        let (status, bytes, _) = self.raw(method, path, body).await;
        let value = serde_json::from_slice(&bytes).unwrap_or_default();
        assert!(status.is_success(), "{method} {path}: {status} {value}");
        value
    }

    /// The entries of the only page of a list.
    pub async fn list(&self, path: &str) -> Value {
        let page = self.ask("GET", path, None).await;
        assert!(page.get("next").is_none(), "{path}: there are more pages");
        page["entries"].clone()
    }

    /// Why it is refused.
    pub async fn refused(&self, method: &str, path: &str, body: Value) -> (StatusCode, String) {
        let (status, bytes, _) = self.raw(method, path, Some(body)).await;
        let value: Value = serde_json::from_slice(&bytes).unwrap_or_default();
        assert!(!status.is_success(), "{method} {path}: {value}");
        (status, value["says"].as_str().unwrap_or_default().to_owned())
    }

    /// A new lesson and its id.
    pub async fn lesson(&self, topic: &str, grade: u8) -> u64 {
        let new = json!({"topic": topic, "grade": grade, "strand": "algebra", "minutes": 45});
        self.ask("POST", "/api/lessons", Some(new)).await["id"].as_u64().expect("an id")
    }
}
