//! Accounts: made, changed, found again, ended; and what an administrator alone may see.

use crate::common::Teacher;
use axum::http::StatusCode;
use scratch::scratch;
use serde_json::{Value, json};
use server::{App, Site, router};
use std::path::{Path, PathBuf};
use store::Db;

const PASSWORD: &str = "four plain words";
const OTHER: &str = "another good pair";

struct House {
    db: Db,
    app: axum::Router,
    outbox: PathBuf,
}

async fn house() -> House {
    let db = scratch().await.expect("a database").db;
    let outbox = std::env::temp_dir().join(format!("hl-outbox-{}", store::link()));
    let site = Site { outbox: Some(outbox.clone()), ..Site::default() };
    House { db: db.clone(), app: router(App::new(db, site), Path::new("/nowhere")), outbox }
}

impl House {
    fn nobody(&self) -> Teacher {
        Teacher { app: self.app.clone(), cookie: String::new() }
    }

    /// Somebody who made an account.
    async fn made(&self, sign_in: &str) -> Teacher {
        let mut new = self.nobody();
        let (status, _, cookie) = new.raw("POST", "/api/sign-up", Some(account(sign_in))).await;
        assert_eq!(status, StatusCode::OK);
        new.cookie = cookie.expect("a cookie");
        new
    }

    /// Somebody who signs in.
    async fn back(&self, sign_in: &str, password: &str) -> Option<Teacher> {
        let mut back = self.nobody();
        let given = json!({"sign_in": sign_in, "password": password});
        let (status, _, cookie) = back.raw("POST", "/api/sign-in", Some(given)).await;
        back.cookie = cookie.unwrap_or_default();
        (status == StatusCode::OK).then_some(back)
    }

    /// The token of the last message in the outbox.
    async fn token(&self, administrator: &Teacher) -> String {
        let messages = administrator.ask("GET", "/api/outbox", None).await;
        let text = messages[0]["text"].as_str().expect("a message");
        let link = text.split_whitespace().find(|word| word.contains("/password/"));
        link.expect("a link").rsplit('/').next().expect("a token").to_owned()
    }
}

impl Drop for House {
    fn drop(&mut self) {
        let _ = std::fs::remove_dir_all(&self.outbox);
    }
}

fn account(sign_in: &str) -> Value {
    json!({"name": "Ada Lark", "sign_in": sign_in, "password": PASSWORD})
}

#[tokio::test]
async fn the_first_account_administers_and_later_ones_do_not() {
    let house = house().await;
    let site = house.nobody().ask("GET", "/api/site", None).await;
    assert_eq!((&site["is_new"], &site["sign_up"]), (&json!(true), &json!("open")));
    let ada = house.made("ada@larkmoor.example").await;
    let bo = house.made("bo").await;
    let me = ada.ask("GET", "/api/me", None).await;
    assert_eq!((&me["name"], &me["is_administrator"]), (&json!("Ada Lark"), &json!(true)));
    assert_eq!(bo.ask("GET", "/api/me", None).await["is_administrator"], json!(false));
    // What an administrator may see is nothing to others.
    for (method, path) in [
        ("GET", "/api/outbox"),
        ("GET", "/api/audit"),
        ("GET", "/api/teachers"),
        ("POST", "/api/invitations"),
        ("POST", "/api/teachers/1/administrator"),
    ] {
        let (status, _) = bo.refused(method, path, json!({})).await;
        assert_eq!(status, StatusCode::NOT_FOUND, "{path}");
        let (status, _) = house.nobody().refused(method, path, json!({})).await;
        assert_eq!(status, StatusCode::UNAUTHORIZED, "{path}");
    }
    let (status, _) = bo.refused("PUT", "/api/site/sign-up", json!({"sign_up": "closed"})).await;
    assert_eq!(status, StatusCode::NOT_FOUND);
    // The other one made administrator sees it too.
    let all = ada.ask("GET", "/api/teachers", None).await;
    let id = all.as_array().expect("all").iter().find(|one| one["sign_in"] == "bo").expect("bo");
    ada.raw("POST", &format!("/api/teachers/{}/administrator", id["id"]), None).await;
    assert!(bo.ask("GET", "/api/audit", None).await["entries"].as_array().expect("log").len() >= 2);
}

#[tokio::test]
async fn what_an_account_may_not_be_is_said_in_a_sentence() {
    let house = house().await;
    house.made("ada").await;
    let with = |field: &str, value: &str| {
        let mut new = account("somebody");
        new[field] = json!(value);
        new
    };
    for (new, says) in [
        (with("name", "  "), "Type your name"),
        (with("name", "a\u{202e}b"), "Type your name"),
        (with("sign_in", "a"), "Choose a name to sign in with"),
        (with("sign_in", "two words"), "Choose a name to sign in with"),
        (with("sign_in", "ADA"), "Somebody signs in with this name already"),
        (with("password", "short"), "at least 10 characters"),
        (with("password", "password123"), "tried first"),
        (with("password", "somebodysomebody"), "tried first"),
    ] {
        let (status, said) = house.nobody().refused("POST", "/api/sign-up", new.clone()).await;
        assert!(status.is_client_error() && said.contains(says), "{new}: {said}");
    }
    assert!(house.back("somebody", PASSWORD).await.is_none());
}

#[tokio::test]
async fn sign_up_may_be_closed_or_ask_for_an_invitation() {
    let house = house().await;
    let ada = house.made("ada").await;
    let rule = async |rule: &str| {
        let body = Some(json!({"sign_up": rule}));
        let (status, ..) = ada.raw("PUT", "/api/site/sign-up", body).await;
        assert_eq!(status, StatusCode::NO_CONTENT);
    };
    rule("closed").await;
    let (_, says) = house.nobody().refused("POST", "/api/sign-up", account("bo")).await;
    assert!(says.contains("by your administrator"), "{says}");
    rule("invited").await;
    let (_, says) = house.nobody().refused("POST", "/api/sign-up", account("bo")).await;
    assert!(says.contains("with an invitation"), "{says}");
    let link = ada.ask("POST", "/api/invitations", None).await["link"].clone();
    let token = link.as_str().expect("a link").rsplit('=').next().expect("a token").to_owned();
    let mut new = account("bo");
    new["invitation"] = json!(token);
    // Refused for another reason, the invitation is not used up.
    let mut weak = new.clone();
    weak["password"] = json!("short");
    house.nobody().refused("POST", "/api/sign-up", weak).await;
    house.nobody().ask("POST", "/api/sign-up", Some(new.clone())).await;
    new["sign_in"] = json!("cy");
    let (_, says) = house.nobody().refused("POST", "/api/sign-up", new).await;
    assert!(says.contains("with an invitation"), "it works once: {says}");
}

#[tokio::test]
async fn a_changed_password_ends_every_other_session() {
    let house = house().await;
    let ada = house.made("ada").await;
    let elsewhere = house.back("ada", PASSWORD).await.expect("signed in");
    let sessions = ada.ask("GET", "/api/me/sessions", None).await;
    assert_eq!(sessions.as_array().expect("sessions").len(), 2);
    assert_eq!((&sessions[0]["this"], &sessions[1]["this"]), (&json!(true), &json!(false)));
    let change = |now: &str, new: &str| json!({"now": now, "new": new});
    let (_, says) = ada.refused("PUT", "/api/me/password", change("wrong words here", OTHER)).await;
    assert!(says.contains("not your password"), "{says}");
    let (_, says) = ada.refused("PUT", "/api/me/password", change(PASSWORD, "short")).await;
    assert!(says.contains("at least 10"), "{says}");
    let (status, ..) = ada.raw("PUT", "/api/me/password", Some(change(PASSWORD, OTHER))).await;
    assert_eq!(status, StatusCode::NO_CONTENT);
    ada.ask("GET", "/api/me", None).await;
    let (status, _) = elsewhere.refused("GET", "/api/me", json!(null)).await;
    assert_eq!(status, StatusCode::UNAUTHORIZED);
    assert!(house.back("ada", PASSWORD).await.is_none());
    let again = house.back("ada", OTHER).await.expect("the new one");
    // One session ends another by a name that opens nothing; a stranger's name ends none.
    let open = ada.ask("GET", "/api/me/sessions", None).await;
    let other = open.as_array().expect("two").iter().find(|one| one["this"] == false);
    let name = other.expect("the other")["name"].as_str().expect("a name").to_owned();
    let bo = house.made("bo").await;
    let path = format!("/api/me/sessions/{name}");
    assert_eq!(bo.refused("DELETE", &path, json!(null)).await.0, StatusCode::NOT_FOUND);
    assert_eq!(ada.raw("DELETE", &path, None).await.0, StatusCode::NO_CONTENT);
    assert_eq!(again.refused("GET", "/api/me", json!(null)).await.0, StatusCode::UNAUTHORIZED);
}

#[tokio::test]
async fn a_forgotten_password_is_set_anew_by_a_message() {
    let house = house().await;
    let ada = house.made("ada").await;
    let bo = house.made("bo").await;
    let forgot = async |name: &str| {
        let body = Some(json!({"sign_in": name}));
        house.nobody().raw("POST", "/api/password/forgot", body).await.0
    };
    // Nobody learns who has an account.
    assert_eq!(forgot("nobody at all").await, StatusCode::NO_CONTENT);
    assert_eq!(ada.ask("GET", "/api/outbox", None).await, json!([]));
    assert_eq!(forgot("bo").await, StatusCode::NO_CONTENT);
    let first = house.token(&ada).await;
    assert_eq!(forgot("bo").await, StatusCode::NO_CONTENT);
    let token = house.token(&ada).await;
    let reset = |token: &str, password: &str| json!({"token": token, "password": password});
    for bad in [reset(&first, OTHER), reset("nothing", OTHER)] {
        let (_, says) = house.nobody().refused("POST", "/api/password/reset", bad).await;
        assert!(says.contains("has been used"), "a newer one takes its place: {says}");
    }
    let (_, says) =
        house.nobody().refused("POST", "/api/password/reset", reset(&token, "short")).await;
    assert!(says.contains("at least 10"), "{says}");
    house.nobody().ask("POST", "/api/password/reset", Some(reset(&token, OTHER))).await;
    assert_eq!(bo.refused("GET", "/api/me", json!(null)).await.0, StatusCode::UNAUTHORIZED);
    assert!(house.back("bo", OTHER).await.is_some());
    let (_, says) =
        house.nobody().refused("POST", "/api/password/reset", reset(&token, OTHER)).await;
    assert!(says.contains("has been used"), "it works once: {says}");
    // Asked for too often, it waits.
    forgot("bo").await;
    assert_eq!(forgot("bo").await, StatusCode::TOO_MANY_REQUESTS);
    let log = ada.ask("GET", "/api/audit", None).await;
    let what: Vec<&str> =
        log["entries"].as_array().expect("log").iter().filter_map(|e| e["what"].as_str()).collect();
    for event in ["account made", "signed in", "reset asked", "password reset"] {
        assert!(what.contains(&event), "{event}: {what:?}");
    }
}

#[tokio::test]
async fn an_account_is_taken_out_and_deleted() {
    let house = house().await;
    let ada = house.made("ada").await;
    let bo = house.made("bo").await;
    bo.lesson("Honey", 7).await;
    let all = bo.ask("GET", "/api/me/export", None).await;
    assert_eq!((&all["sign_in"], all["lessons"].as_array().map(Vec::len)), (&json!("bo"), Some(1)));
    assert!(!all.to_string().contains("argon2"), "no hash goes out");
    let (_, says) = bo.refused("POST", "/api/me/delete", json!({"password": OTHER})).await;
    assert!(says.contains("not your password"), "{says}");
    // The only administrator does not leave others alone.
    let (_, says) = ada.refused("POST", "/api/me/delete", json!({"password": PASSWORD})).await;
    assert!(says.contains("only administrator"), "{says}");
    let (status, ..) = bo.raw("POST", "/api/me/delete", Some(json!({"password": PASSWORD}))).await;
    assert_eq!(status, StatusCode::NO_CONTENT);
    assert!(house.back("bo", PASSWORD).await.is_none());
    assert_eq!(bo.refused("GET", "/api/me", json!(null)).await.0, StatusCode::UNAUTHORIZED);
    ada.raw("POST", "/api/me/delete", Some(json!({"password": PASSWORD}))).await;
    assert!(store::teacher::none_yet(&house.db).await.expect("an answer"));
}
