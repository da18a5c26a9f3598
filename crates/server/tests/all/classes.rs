//! A class from its list of names to what came back, and who may do what on the way.

use crate::common::{Teacher, teacher};
use axum::http::StatusCode;
use serde_json::{Value, json};

/// A class of three with a ladder that was given to it.
struct Given {
    orla: Teacher,
    class: u64,
    /// The link of the page of the class.
    page: String,
    assignment: u64,
    /// The address of its Step Desk for a student.
    desk: String,
    codes: Vec<String>,
}

fn rules(feedback: &str) -> Value {
    json!({"hints": 3, "alone": true, "feedback": feedback, "staged": false})
}

/// Somebody who is not known yet.
fn nobody(like: &Teacher) -> Teacher {
    Teacher { app: like.app.clone(), cookie: String::new() }
}

async fn given(rules: Value) -> Given {
    let orla = teacher().await;
    let lesson = orla.lesson("Equations", 7).await;
    let plan = json!({"title": "", "next_key": 1, "rungs": [], "order": {
        "skills": ["equations.linear"], "grip": 2, "tilt": 0, "climb": 1, "seed": 7}});
    let new = json!({"title": "Climb", "plan": plan});
    let path = format!("/api/lessons/{lesson}/ladders");
    let ladder = orla.ask("POST", &path, Some(new)).await["id"].clone();
    let made = json!({"title": "7b", "grade": 7});
    let class = orla.ask("POST", "/api/classes", Some(made)).await["id"].as_u64().expect("an id");
    let names = json!({"names": ["Ada", "Bo", "Cy"]});
    let (status, ..) =
        orla.raw("POST", &format!("/api/classes/{class}/students"), Some(names)).await;
    assert_eq!(status, StatusCode::NO_CONTENT);
    let new = json!({"ladder": ladder, "rules": rules});
    let path = format!("/api/classes/{class}/assignments");
    let assignment = orla.ask("POST", &path, Some(new)).await["id"].as_u64().expect("an id");
    let view = orla.ask("GET", &format!("/api/classes/{class}"), None).await;
    let code = |one: &Value| one["code"].as_str().expect("a code").to_owned();
    let codes = view["students"].as_array().expect("students").iter().map(code).collect();
    let page = view["page"].as_str().expect("a page").replace("/class/", "/api/class/");
    let mut given = Given { orla, class, page, assignment, desk: String::new(), codes };
    let ada = given.student(0).await;
    let own = ada.ask("GET", &given.page, None).await;
    let desk = own["assignments"][0]["desk"].as_str().expect("a desk").to_owned();
    given.desk = format!("/api{desk}");
    given
}

impl Given {
    /// A student who was let in with their code.
    async fn student(&self, at: usize) -> Teacher {
        let mut student = nobody(&self.orla);
        let code = json!({"code": self.codes[at].to_uppercase()});
        let (status, _, cookie) =
            student.raw("POST", &format!("{}/enter", self.page), Some(code)).await;
        assert_eq!(status, StatusCode::OK);
        student.cookie = cookie.expect("a cookie");
        student
    }

    /// A line on a rung.
    async fn write(&self, student: &Teacher, rung: u16, based_on: u32, line: &str) -> Value {
        let body = json!({"based_on": based_on, "lines": [{"text": line}]});
        student.ask("PUT", &format!("{}/rungs/{rung}", self.desk), Some(body)).await
    }

    async fn handed(&self) -> Value {
        self.orla.ask("GET", &format!("/api/assignments/{}", self.assignment), None).await
    }
}

#[tokio::test]
async fn an_assignment_goes_from_given_to_handed_in_to_given_back() {
    let given = given(rules("at_once")).await;
    let ada = given.student(0).await;
    let own = ada.ask("GET", &given.page, None).await;
    assert_eq!((&own["student"], &own["assignments"][0]["state"]), (&json!("Ada"), &json!("open")));
    let seated = ada.ask("GET", &given.desk, None).await;
    assert_eq!(seated["student"], json!("Ada"));
    assert_eq!(seated["assigned"]["keys"], json!([]), "no key before it is given back");
    given.write(&ada, 1, 0, "x = 1000").await;
    let own = ada.ask("GET", &given.page, None).await;
    assert_eq!(own["assignments"][0]["state"], json!("in_progress"));
    assert_eq!(own["assignments"][0]["finished"], json!(0));
    // On another device the same desk comes back.
    let elsewhere = given.student(0).await;
    let seated = elsewhere.ask("GET", &given.desk, None).await;
    assert_eq!(seated["written"][0]["lines"][0]["text"], json!("x = 1000"));
    // Handed in, nothing more is written.
    let hand_in = format!("{}/hand-in", given.desk);
    assert_eq!(ada.raw("POST", &hand_in, None).await.0, StatusCode::NO_CONTENT);
    let body = json!({"based_on": 1, "lines": [{"text": "x = 1"}]});
    let (_, says) = ada.refused("PUT", &format!("{}/rungs/1", given.desk), body).await;
    assert!(says.contains("handed in"), "{says}");
    // The teacher reads it, says something, and gives it back.
    let handed = given.handed().await;
    let work = handed["work"].as_array().expect("three").clone();
    assert_eq!(work.len(), 3);
    let desk = work[0]["desk"].clone();
    assert!(work[0]["handed_in"].is_i64() && work[1].get("desk").is_none(), "{work:?}");
    let say = format!("/api/assignments/{}/desks/{desk}/rungs/1", given.assignment);
    let said = json!({"mark": "again", "remark": "Look at the sign."});
    assert_eq!(given.orla.raw("PUT", &say, Some(said)).await.0, StatusCode::NO_CONTENT);
    for (bad, says) in [
        (json!({"mark": "excellent"}), "A mark is"),
        (json!({"remark": "x".repeat(401)}), "at most 400"),
    ] {
        assert!(given.orla.refused("PUT", &say, bad).await.1.contains(says));
    }
    let seated = ada.ask("GET", &given.desk, None).await;
    assert_eq!(seated["assigned"]["remarks"], json!([]), "not before it is given back");
    let back = format!("/api/assignments/{}/give-back", given.assignment);
    assert_eq!(given.orla.ask("POST", &back, Some(json!({}))).await["count"], json!(1));
    let seated = ada.ask("GET", &given.desk, None).await;
    assert_eq!(seated["assigned"]["remarks"][0]["remark"], json!("Look at the sign."));
    assert_eq!(seated["assigned"]["keys"].as_array().map(Vec::len), Some(3));
    let own = ada.ask("GET", &given.page, None).await;
    assert_eq!(own["assignments"][0]["state"], json!("given_back"));
    // Opened again, it is written on.
    let open = format!("/api/assignments/{}/desks/{desk}/open", given.assignment);
    assert_eq!(given.orla.raw("POST", &open, None).await.0, StatusCode::NO_CONTENT);
    given.write(&ada, 1, 1, "x = 2").await;
}

#[tokio::test]
async fn a_further_try_has_other_numbers_and_the_best_one_counts() {
    let mut rules = rules("at_once");
    (rules["tries"], rules["fresh"]) = (json!(2), json!(true));
    let given = given(rules).await;
    let ada = given.student(0).await;
    let again = format!("{}/again", given.desk);
    let (_, says) = ada.refused("POST", &again, json!(null)).await;
    assert!(says.contains("no further try"), "{says}");
    let first = ada.ask("GET", &given.desk, None).await;
    assert_eq!(
        (&first["assigned"]["nth"], &first["assigned"]["again"]),
        (&json!(1), &json!(false))
    );
    given.write(&ada, 1, 0, "x = 1000").await;
    ada.raw("POST", &format!("{}/hand-in", given.desk), None).await;
    let second = ada.ask("POST", &again, None).await;
    assert_eq!(second["assigned"]["nth"], json!(2));
    assert_eq!(second["written"], json!([]));
    let prompts = |view: &Value| -> Vec<Value> {
        let rungs = view["rungs"].as_array().expect("rungs").iter();
        rungs.map(|rung| rung["prompt"].clone()).collect()
    };
    assert_eq!(prompts(&first).len(), prompts(&second).len());
    assert!(prompts(&first).iter().zip(prompts(&second)).all(|(a, b)| *a != b));
    // Lines are judged by the numbers of this try.
    let mine = given.handed().await;
    assert_eq!(mine["work"][0]["nth"], json!(2), "of two with nothing finished the latest");
    let answer = mine["work"][0]["own"][0]["rung"]["answer"]["text"].as_str().expect("a key");
    let told = given.write(&ada, 1, 0, answer).await;
    assert_eq!(told["judgement"]["finished"], json!(true), "{told}");
    let work = given.handed().await["work"].clone();
    assert_eq!((&work[0]["nth"], &work[0]["tries"]), (&json!(2), &json!(2)));
    // There are two tries, and no third.
    ada.raw("POST", &format!("{}/hand-in", given.desk), None).await;
    assert!(ada.refused("POST", &again, json!(null)).await.1.contains("no further try"));
    // Nobody else's desk is touched.
    let bo = given.student(1).await;
    assert_eq!(bo.ask("GET", &given.desk, None).await["assigned"]["nth"], json!(1));
}

#[tokio::test]
async fn the_same_numbers_are_tried_again_only_until_the_key_is_out() {
    let mut rules = rules("given_back");
    rules["tries"] = json!(0);
    let given = given(rules).await;
    let ada = given.student(0).await;
    let again = format!("{}/again", given.desk);
    let first = ada.ask("GET", &given.desk, None).await;
    for nth in 2..4 {
        ada.raw("POST", &format!("{}/hand-in", given.desk), None).await;
        let next = ada.ask("POST", &again, None).await;
        assert_eq!((&next["assigned"]["nth"], &next["rungs"]), (&json!(nth), &first["rungs"]));
    }
    ada.raw("POST", &format!("{}/hand-in", given.desk), None).await;
    let back = format!("/api/assignments/{}/give-back", given.assignment);
    given.orla.raw("POST", &back, Some(json!({}))).await;
    let (_, says) = ada.refused("POST", &again, json!(null)).await;
    assert!(says.contains("no further try"), "{says}");
}

#[tokio::test]
async fn what_holds_waits_where_the_teacher_wants_it() {
    let given = given(rules("given_back")).await;
    let ada = given.student(0).await;
    let kept = given.write(&ada, 1, 0, "x = 1000").await;
    let line = &kept["judgement"]["lines"][0];
    assert_eq!((&line["verdict"]["word"], &line["verdict"]["says"]), (&json!("given"), &json!("")));
    assert!(line.get("hints").is_none() && line.get("slip").is_none(), "{line}");
    let own = ada.ask("GET", &given.page, None).await;
    assert!(own["assignments"][0].get("finished").is_none(), "{own}");
    let picture = format!("{}/rungs/1/lines/1/picture", given.desk);
    assert_eq!(ada.refused("GET", &picture, json!(null)).await.0, StatusCode::NOT_FOUND);
    // The teacher sees what was said all along.
    let handed = given.handed().await;
    let word = &handed["work"][0]["rungs"][0]["lines"][0]["verdict"]["word"];
    assert_eq!(word, &json!("breaks"));
}

#[tokio::test]
async fn stages_open_one_after_the_other() {
    let mut rules = rules("at_once");
    rules["staged"] = json!(true);
    let given = given(rules).await;
    let ada = given.student(0).await;
    let seated = ada.ask("GET", &given.desk, None).await;
    let locked: Vec<bool> =
        seated["rungs"].as_array().expect("rungs").iter().map(|r| r["locked"] == true).collect();
    assert_eq!(locked, [false, false, true]);
    let body = json!({"based_on": 0, "lines": [{"text": "x = 1"}]});
    let (_, says) = ada.refused("PUT", &format!("{}/rungs/3", given.desk), body).await;
    assert!(says.contains("stage below"), "{says}");
}

#[tokio::test]
async fn nobody_sees_or_does_what_is_not_theirs() {
    let given = given(rules("at_once")).await;
    let (ada, bo) = (given.student(0).await, given.student(1).await);
    given.write(&ada, 1, 0, "x = 1000").await;
    // Bo has a desk of their own, with nothing of Ada's on it.
    let seated = bo.ask("GET", &given.desk, None).await;
    assert_eq!((&seated["student"], &seated["written"]), (&json!("Bo"), &json!([])));
    // Whoever has no code sees what the class and the ladder are called, and nothing else.
    let stranger = nobody(&given.orla);
    let page = stranger.ask("GET", &given.page, None).await;
    assert_eq!((page.get("student"), &page["assignments"]), (None, &json!([])));
    let seated = stranger.ask("GET", &given.desk, None).await;
    assert_eq!((&seated["rungs"], &seated["of_class"]), (&json!([]), &json!(true)));
    for (path, body) in [(format!("{}/rungs/1", given.desk), json!({"based_on": 0, "lines": []}))] {
        assert_eq!(stranger.refused("PUT", &path, body).await.0, StatusCode::UNAUTHORIZED);
    }
    let hand_in = format!("{}/hand-in", given.desk);
    assert_eq!(stranger.refused("POST", &hand_in, json!(null)).await.0, StatusCode::UNAUTHORIZED);
    let enter = format!("{}/enter", given.page);
    let (_, says) = stranger.refused("POST", &enter, json!({"code": "zzzzz"})).await;
    assert!(says.contains("Nobody in this class"), "{says}");
    let join = format!("{}/join", given.desk);
    let (_, says) = stranger.refused("POST", &join, json!({"name": "Ada"})).await;
    assert!(says.contains("Nobody in this class"), "a name alone lets nobody in: {says}");
    // Another teacher, a student and nobody at all are refused at every address of a teacher.
    let mut other = nobody(&given.orla);
    let account = json!({"name": "Other", "sign_in": "other", "password": "four plain words"});
    other.cookie = other.raw("POST", "/api/sign-up", Some(account)).await.2.expect("a cookie");
    let (class, assignment) = (given.class, given.assignment);
    let view = given.orla.ask("GET", &format!("/api/classes/{class}"), None).await;
    let student = view["students"][0]["id"].clone();
    let desk = given.handed().await["work"][0]["desk"].clone();
    let ladder = view["assignments"][0]["ladder"].clone();
    let rules = rules("at_once");
    let set = json!({"title": "x", "grade": 7, "methods": {}, "keep_days": 30});
    for (method, path, body) in [
        ("GET", format!("/api/classes/{class}"), json!(null)),
        ("PUT", format!("/api/classes/{class}"), set),
        ("POST", format!("/api/classes/{class}/roster"), json!("Ada")),
        ("POST", format!("/api/classes/{class}/students"), json!({"names": ["Zed"]})),
        (
            "PUT",
            format!("/api/classes/{class}/students/{student}"),
            json!({"name": "Zed", "hidden": true}),
        ),
        ("POST", format!("/api/classes/{class}/students/{student}/code"), json!(null)),
        ("POST", format!("/api/classes/{class}/students/{student}/merge"), json!({"other": 2})),
        ("GET", format!("/api/classes/{class}/students/{student}/stored"), json!(null)),
        ("DELETE", format!("/api/classes/{class}/students/{student}"), json!(null)),
        (
            "POST",
            format!("/api/classes/{class}/assignments"),
            json!({"ladder": ladder, "rules": rules}),
        ),
        ("GET", format!("/api/assignments/{assignment}"), json!(null)),
        ("PUT", format!("/api/assignments/{assignment}"), rules.clone()),
        ("POST", format!("/api/assignments/{assignment}/give-back"), json!({})),
        ("POST", format!("/api/assignments/{assignment}/desks/{desk}/open"), json!(null)),
        ("PUT", format!("/api/assignments/{assignment}/desks/{desk}/rungs/1"), json!({})),
        ("DELETE", format!("/api/assignments/{assignment}"), json!(null)),
        ("DELETE", format!("/api/classes/{class}"), json!(null)),
    ] {
        for (who, asker, expected) in [
            ("nobody", &stranger, StatusCode::UNAUTHORIZED),
            ("a student", &ada, StatusCode::UNAUTHORIZED),
            ("another teacher", &other, StatusCode::NOT_FOUND),
        ] {
            let (status, _) = asker.refused(method, &path, body.clone()).await;
            assert_eq!(status, expected, "{who}: {method} {path}");
        }
    }
    // And all of it is still there.
    let handed = given.handed().await;
    assert_eq!(handed["work"][0]["rungs"].as_array().map(Vec::len), Some(1));
}

#[tokio::test]
async fn a_list_is_read_before_anybody_is_taken_in() {
    let given = given(rules("at_once")).await;
    let path = format!("/api/classes/{}/roster", given.class);
    let (status, bytes) =
        given.orla.put_in(&path, b"First name;Last name\nDee;Lark\nAda;Moor\n42;x").await;
    assert_eq!(status, StatusCode::OK);
    let rows: Value = serde_json::from_slice(&bytes).expect("rows");
    let names: Vec<&str> =
        rows.as_array().expect("rows").iter().filter_map(|row| row["name"].as_str()).collect();
    assert_eq!(names, ["Dee", "Ada M.", ""]);
    let (status, bytes) = given.orla.put_in(&path, b"PK\x03\x04 nothing").await;
    assert_eq!(status, StatusCode::UNPROCESSABLE_ENTITY);
    assert!(String::from_utf8_lossy(&bytes).contains("No table was found"));
    let students = format!("/api/classes/{}/students", given.class);
    // All of them or none.
    let (status, says) =
        given.orla.refused("POST", &students, json!({"names": ["Dee", "Ada"]})).await;
    assert_eq!((status, says.contains("Add a letter")), (StatusCode::CONFLICT, true));
    let count = async || {
        let view = given.orla.ask("GET", &format!("/api/classes/{}", given.class), None).await;
        view["students"].as_array().map_or(0, Vec::len)
    };
    assert_eq!(count().await, 3);
    for bad in [json!([]), json!([" "]), json!(["a".repeat(41)]), json!(["a\u{202e}"])] {
        given.orla.refused("POST", &students, json!({"names": bad})).await;
    }
    let methods = json!({"title": "7b", "grade": 7, "methods": {"equations.linear": "nothing"}, "keep_days": 30});
    let (_, says) =
        given.orla.refused("PUT", &format!("/api/classes/{}", given.class), methods).await;
    assert!(says.contains("has no method"), "{says}");
}

#[tokio::test]
async fn students_are_renamed_hidden_put_together_and_deleted() {
    let given = given(rules("at_once")).await;
    let class = format!("/api/classes/{}", given.class);
    let view = given.orla.ask("GET", &class, None).await;
    let id = |at: usize| view["students"][at]["id"].as_u64().expect("an id");
    let (ada, bo, cy) = (id(0), id(1), id(2));
    let student = |id: u64| format!("{class}/students/{id}");
    let done = async |method: &str, path: String, body: Option<Value>| {
        let (status, ..) = given.orla.raw(method, &path, body).await;
        assert_eq!(status, StatusCode::NO_CONTENT, "{method} {path}");
    };
    let as_bo = given.student(1).await;
    given.write(&as_bo, 1, 0, "x = 1000").await;
    // Bo is Ada after all: what was written goes over.
    done("POST", format!("{}/merge", student(ada)), Some(json!({"other": bo}))).await;
    let stored = given.orla.ask("GET", &format!("{}/stored", student(ada)), None).await;
    assert_eq!(
        (&stored["name"], stored["work"].as_array().map(Vec::len)),
        (&json!("Ada"), Some(1))
    );
    let page = as_bo.ask("GET", &given.page, None).await;
    assert!(page.get("student").is_none(), "the other name is gone");
    done("PUT", student(ada), Some(json!({"name": "Ada Mae", "hidden": false}))).await;
    let (status, _) =
        given.orla.refused("PUT", &student(cy), json!({"name": "ada mae", "hidden": false})).await;
    assert_eq!(status, StatusCode::CONFLICT);
    assert_eq!(given.handed().await["work"][0]["name"], json!("Ada Mae"));
    // Whoever has left is not let in; a new code makes the old one worthless.
    let as_cy = given.student(2).await;
    done("PUT", student(cy), Some(json!({"name": "Cy", "hidden": true}))).await;
    assert!(as_cy.ask("GET", &given.page, None).await.get("student").is_none());
    done("POST", format!("{}/code", student(ada)), None).await;
    let enter = format!("{}/enter", given.page);
    nobody(&given.orla).refused("POST", &enter, json!({"code": given.codes[0]})).await;
    done("DELETE", student(ada), None).await;
    let (status, _) =
        given.orla.refused("GET", &format!("{}/stored", student(ada)), json!(null)).await;
    assert_eq!(status, StatusCode::NOT_FOUND);
    done("DELETE", class.clone(), None).await;
    assert_eq!(given.orla.ask("GET", "/api/classes", None).await, json!([]));
}

#[tokio::test]
async fn whoever_has_the_link_of_an_open_class_adds_themselves() {
    let given = given(rules("at_once")).await;
    let orla = &given.orla;
    let ladder = given.handed().await["assignment"]["ladder"].clone();
    let new = json!({"ladder": ladder, "rules": rules("at_once")});
    let made = orla.ask("POST", "/api/assignments", Some(new)).await["id"].clone();
    let path = format!("/api/assignments/{made}");
    let view = orla.ask("GET", &path, None).await;
    let desk = format!("/api{}", view["assignment"]["desk"].as_str().expect("an address"));
    let class = orla.ask("GET", &format!("/api/classes/{}", view["class"]), None).await;
    assert_eq!((&class["is_open"], &class["title"]), (&json!(true), &json!("Climb")));
    assert_eq!(class["students"], json!([]));

    let mut mia = nobody(orla);
    let seated = mia.ask("GET", &desk, None).await;
    assert_eq!((&seated["of_class"], &seated["is_open"]), (&json!(true), &json!(true)));
    let join = format!("{desk}/join");
    for bad in ["", "   ", "\u{200b}", &"x".repeat(41)] {
        let (status, _) = mia.refused("POST", &join, json!({"name": bad})).await;
        assert_eq!(status, StatusCode::UNPROCESSABLE_ENTITY);
    }
    let (_, seated, cookie) = mia.raw("POST", &join, Some(json!({"name": " Mia  R "}))).await;
    let seated: Value = serde_json::from_slice(&seated).expect("JSON");
    assert_eq!(seated["student"], json!("Mia R"));
    mia.cookie = cookie.expect("a cookie");
    let line = json!({"based_on": 0, "lines": [{"text": "x = 1000"}]});
    mia.ask("PUT", &format!("{desk}/rungs/1"), Some(line)).await;
    // Her name is taken now, by any writing; her code brings her back, to the desk and to the page.
    let other = nobody(orla);
    let (status, says) = other.refused("POST", &join, json!({"name": "mia r"})).await;
    assert_eq!(status, StatusCode::CONFLICT, "{says}");
    let page =
        seated["assigned"]["page"].as_str().expect("a page").replace("/class/", "/api/class/");
    let back = json!({"code": seated["code"]});
    let (_, own, _) = other.raw("POST", &format!("{page}/enter"), Some(back)).await;
    let own: Value = serde_json::from_slice(&own).expect("JSON");
    assert_eq!((&own["student"], &own["code"]), (&json!("Mia R"), &seated["code"]));
    assert_eq!(own["assignments"].as_array().map(Vec::len), Some(1));
    assert_eq!(orla.ask("GET", &path, None).await["work"][0]["name"], json!("Mia R"));
    // A class that is not open takes nobody in by a name; closed later, it keeps those who are in.
    let enter = format!("{}/enter", given.page);
    other.refused("POST", &enter, json!({"name": "Mallory"})).await;
    let closed =
        json!({"title": "Climb", "grade": 7, "methods": {}, "keep_days": 30, "is_open": false});
    let (status, ..) =
        orla.raw("PUT", &format!("/api/classes/{}", view["class"]), Some(closed)).await;
    assert_eq!(status, StatusCode::NO_CONTENT);
    other.refused("POST", &join, json!({"name": "Noah"})).await;
    assert_eq!(mia.ask("GET", &desk, None).await["student"], json!("Mia R"));
    // Somebody else's ladder is not given.
    other
        .refused("POST", "/api/assignments", json!({"ladder": 1, "rules": rules("at_once")}))
        .await;
}

#[tokio::test]
async fn what_came_back_adds_up_and_leads_to_the_next_ladder() {
    let given = given(rules("at_once")).await;
    let (orla, class) = (&given.orla, given.class);
    let (ada, bo) = (given.student(0).await, given.student(1).await);
    // Ada goes through the first rung as the key does, Bo breaks on it.
    let view = orla.ask("GET", &format!("/api/assignments/{}", given.assignment), None).await;
    let answer = view["rungs"][0]["rung"]["answer"]["text"].as_str().expect("a key").to_owned();
    given.write(&ada, 1, 0, &answer).await;
    given.write(&bo, 1, 0, "x = 100001").await;
    for student in [&ada, &bo] {
        student.raw("POST", &format!("{}/hand-in", given.desk), Some(json!({}))).await;
    }
    let results = |query: &str| format!("/api/classes/{class}/results{query}");
    let by_skill = orla.ask("GET", &results(""), None).await;
    assert_eq!(by_skill["columns"][0]["title"], "Linear equations");
    let share = |name: &str| {
        let rows = by_skill["rows"].as_array().expect("rows");
        let row = rows.iter().find(|row| row["student"]["name"] == name).expect("a row");
        let share = &row["shares"][0];
        ["finished", "tried", "asked"].map(|of| share[of].as_u64().expect("a count"))
    };
    assert_eq!((share("Ada"), share("Bo"), share("Cy")), ([1, 1, 3], [0, 1, 3], [0, 0, 3]));
    let together = &by_skill["together"][0];
    assert_eq!((&together["finished"], &together["asked"]), (&json!(1), &json!(9)));
    let by_rung = format!("?by=rung&assignment={}", given.assignment);
    let rungs = orla.ask("GET", &results(&by_rung), None).await;
    assert_eq!(rungs["columns"].as_array().map(Vec::len), Some(3));
    assert_eq!(rungs["rows"][0]["shares"][0]["standing"], "finished");
    assert_eq!(rungs["rows"][1]["shares"][0]["standing"], "breaks");
    assert!(rungs["rows"][2]["shares"][0].get("standing").is_none());
    let (_, says) = orla.refused("GET", &results("?by=rung"), json!(null)).await;
    assert_eq!(says, "Choose the assignment whose rungs you want to see.");
    let (status, _) = orla.refused("GET", &results("?assignment=9999"), json!(null)).await;
    assert_eq!(status, StatusCode::NOT_FOUND);

    // Each as a file; a name that a spreadsheet would run is only a name.
    let names = json!({"names": ["=1+1"]});
    let taken = orla.raw("POST", &format!("/api/classes/{class}/students"), Some(names)).await.0;
    let (status, csv, _) = orla.raw("GET", &results(".csv?by=work"), None).await;
    let csv = String::from_utf8(csv).expect("text");
    assert_eq!(status, StatusCode::OK);
    assert!(csv.contains("Ada,1,1,3"), "{csv}");
    assert!(!csv.contains("\n=1+1") && csv.contains("'=1+1") == (taken == StatusCode::NO_CONTENT));
    let (status, xlsx, _) = orla.raw("GET", &results(".xlsx?by=skill"), None).await;
    assert!(status == StatusCode::OK && xlsx.starts_with(b"PK"));

    // The next ladder fits its time, says why, and is given in one request.
    let next = format!("/api/classes/{class}/next");
    let (_, says) = orla.refused("POST", &next, json!({"minutes": 3, "seed": 1})).await;
    assert_eq!(says, "A ladder takes from 5 to 120 minutes.");
    let made = orla.ask("POST", &next, Some(json!({"minutes": 15, "seed": 1}))).await;
    assert!(made["minutes"].as_u64().is_some_and(|minutes| (1..=15).contains(&minutes)));
    let why = made["rungs"][0]["why"].as_str().expect("a reason");
    assert!(why.contains("did not finish") || why.contains(':'), "{why}");
    let entry = &by_skill["rows"][1]["student"]["id"];
    let body = json!({"made": {"title": made["title"], "plan": made["plan"]}, "student": entry,
                      "rules": rules("at_once")});
    let path = format!("/api/classes/{class}/assignments");
    let second = orla.ask("POST", &path, Some(body)).await["id"].clone();
    let of_bo = bo.ask("GET", &given.page, None).await;
    assert_eq!(of_bo["assignments"].as_array().map(Vec::len), Some(2));
    let of_ada = ada.ask("GET", &given.page, None).await;
    assert_eq!(of_ada["assignments"].as_array().map(Vec::len), Some(1), "it is for Bo alone");
    let opened = orla.ask("GET", &format!("/api/assignments/{second}"), None).await;
    assert_eq!(opened["work"].as_array().map(Vec::len), Some(1));
    assert!(opened["rungs"][0]["why"].is_string(), "the teacher still sees why");
    let desk = of_bo["assignments"][0]["desk"].as_str().expect("a desk");
    let seen = bo.ask("GET", &format!("/api{desk}"), None).await.to_string();
    assert!(!seen.contains("did not finish"), "a student is not told of others");
}

#[tokio::test]
async fn a_class_is_given_its_own_methods() {
    let orla = teacher().await;
    let made = json!({"title": "7b", "grade": 7});
    let class = orla.ask("POST", "/api/classes", Some(made)).await["id"].as_u64().expect("an id");
    let plan = json!({"title": "", "next_key": 1, "rungs": [], "order": {
        "skills": ["equations.linear"], "grip": 3, "tilt": 0, "climb": 0, "seed": 7}});
    let new = json!({"title": "By itself", "plan": plan});
    let ladder = orla.ask("POST", "/api/ladders", Some(new)).await["id"].clone();
    let skills = orla.ask("GET", "/api/skills", None).await;
    let skills = skills.as_array().expect("skills");
    let linear = skills.iter().find(|one| one["id"] == "equations.linear").expect("a skill");
    let other = linear["methods"][1]["id"].as_str().expect("another method");
    let methods =
        |asked: Value| json!({"title": "7b", "grade": 7, "methods": asked, "keep_days": 30});
    let give = async || {
        let path = format!("/api/classes/{class}/assignments");
        let body = json!({"ladder": ladder, "rules": rules("at_once")});
        let id = orla.ask("POST", &path, Some(body)).await["id"].clone();
        let view = orla.ask("GET", &format!("/api/assignments/{id}"), None).await;
        view["rungs"][0]["rung"].clone()
    };
    let usual = give().await;
    let path = format!("/api/classes/{class}");
    let asked = methods(json!({"equations.linear": other}));
    orla.raw("PUT", &path, Some(asked)).await;
    let taught = give().await;
    assert_eq!(usual["prompt"], taught["prompt"], "the same problem");
    assert_eq!(usual["answer"], taught["answer"]);
    assert_eq!((usual["method"] == other, taught["method"].as_str()), (false, Some(other)));
    assert_ne!(usual["working"], taught["working"]);
}

#[tokio::test]
async fn a_card_shows_a_camera_the_way_in() {
    let given = given(rules("at_once")).await;
    let view = given.orla.ask("GET", &format!("/api/classes/{}", given.class), None).await;
    let ada = view["students"][0]["id"].as_u64().expect("an id");
    let card = format!("/api/classes/{}/students/{ada}/card.svg", given.class);
    let (status, svg, _) = given.orla.raw("GET", &card, None).await;
    let svg = String::from_utf8(svg).expect("text");
    assert_eq!(status, StatusCode::OK);
    let link = view["page"].as_str().expect("a page");
    assert_eq!(
        svg,
        drawing::qr(&format!("http://localhost{link}#{}", given.codes[0])).expect("drawn")
    );
}

#[tokio::test]
async fn what_holds_is_told_when_the_day_is_over() {
    let mut when = rules("after_due");
    let day = 86_400;
    let now = std::time::SystemTime::now().duration_since(std::time::UNIX_EPOCH);
    let now = i64::try_from(now.expect("after 1970").as_secs()).expect("before the end of time");
    when["due"] = json!(now + day);
    let given = given(when.clone()).await;
    let ada = given.student(0).await;
    let waiting = given.write(&ada, 1, 0, "x = 100001").await;
    assert_eq!(waiting["judgement"]["lines"][0]["verdict"]["word"], "given");
    when["due"] = json!(now - day);
    let path = format!("/api/assignments/{}", given.assignment);
    given.orla.raw("PUT", &path, Some(when.clone())).await;
    let told = ada.ask("GET", &given.desk, None).await;
    assert_ne!(told["written"][0]["judgement"]["lines"][0]["verdict"]["word"], "given");
    when["due"] = Value::Null;
    let (_, says) = given.orla.refused("PUT", &path, when).await;
    assert_eq!(says, "Choose a date: what holds is told when that day is over.");
}
