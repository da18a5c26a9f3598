//! Who may do what: one table of every route, tried by everybody. A new route must join it.

use crate::common::Teacher;
use axum::http::StatusCode;
use scratch::scratch;
use serde_json::{Value, json};
use server::{App, Site, openapi_json, password, router};
use std::collections::BTreeMap;
use std::path::Path;
use store::share::{self, ShareKind, Shared};
use store::{ClassId, Db, LessonId, StudentId, TeacherId};

/// Who asks.
#[derive(Debug, Clone, Copy, PartialEq, Eq, PartialOrd, Ord)]
enum Role {
    /// Nobody who is known.
    Nobody,
    /// The student whose desk it is.
    Student,
    /// A student of another class.
    OtherStudent,
    /// A teacher who has nothing to do with it.
    OtherTeacher,
    /// A colleague with a link to look.
    Looks,
    /// A colleague with a link to copy.
    Copies,
    /// A colleague who was let in to edit the lesson.
    Edits,
    /// The teacher whose it is.
    Owner,
    /// The administrator of the installation.
    Administrator,
}

use Role::{
    Administrator, Copies, Edits, Looks, Nobody, OtherStudent, OtherTeacher, Owner, Student,
};

const EVERYBODY: &[Role] =
    &[Nobody, Student, OtherStudent, OtherTeacher, Looks, Copies, Edits, Owner, Administrator];
const TEACHERS: &[Role] = &[OtherTeacher, Looks, Copies, Edits, Owner, Administrator];

/// Who may do each of these; all others are refused.
const TABLE: &[(&[Role], &[&str])] = &[
    (
        EVERYBODY,
        &[
            "post /api/sign-in",
            "post /api/sign-out",
            "post /api/sign-up",
            "get /api/site",
            "post /api/password/forgot",
            "post /api/password/reset",
            "get /api/class/{link}",
            "post /api/class/{link}/enter",
            "post /api/class/{link}/leave",
            "get /api/desk/{link}",
            "post /api/desk/{link}/join",
            "post /api/desk/{link}/leave",
            "get /api/shared/{link}",
            "get /api/shared/{link}/images/{id}",
            "get /api/join/{code}",
            "post /api/join/{code}",
        ],
    ),
    (
        TEACHERS,
        &[
            "get /api/me",
            "get /api/me/export",
            "get /api/me/sessions",
            "delete /api/me/sessions/{name}",
            "post /api/me/delete",
            "put /api/me/password",
            "get /api/skills",
            "get /api/lessons",
            "post /api/lessons",
            "post /api/lessons/file",
            "post /api/lessons/mends",
            "post /api/lessons/offer",
            "post /api/lessons/practice",
            "get /api/ladders",
            "post /api/ladders",
            "get /api/bench",
            "put /api/bench",
            "post /api/bench/change",
            "post /api/board",
            "post /api/examples",
            "post /api/examples/change",
            "post /api/examples/slips",
            "post /api/examples/understood",
            "post /api/images",
            "get /api/pictures",
            "post /api/pictures",
            "get /api/scenarios",
            "post /api/scenarios",
            "post /api/scenarios/stories",
            "post /api/second-look",
            "post /api/second-look/mend",
            "post /api/second-look/text",
            "post /api/slides/reveal",
            "get /api/classes",
            "post /api/classes",
            "get /api/live",
            "get /api/department",
            "get /api/shared-with-me",
            "post /api/shared/{link}/copy",
            "post /api/shared/{link}/edit",
        ],
    ),
    (
        &[Edits, Owner],
        &[
            "get /api/lessons/{id}",
            "put /api/lessons/{id}",
            "get /api/lessons/{id}/bench",
            "put /api/lessons/{id}/bench",
            "get /api/lessons/{id}/ladders",
            "post /api/lessons/{id}/ladders",
            "post /api/lessons/{id}/copy",
            "get /api/lessons/{id}/versions",
            "get /api/lessons/{id}/versions/{revision}",
            "post /api/lessons/{id}/versions/{revision}",
            "get /api/lessons/{id}/shares",
            "post /api/live",
            "get /api/images/{id}",
            "get /api/ladders/{id}",
            "get /api/ladders/{id}/sheet.pdf",
            "get /api/ladders/{id}/key.pdf",
        ],
    ),
    (
        &[Owner],
        &[
            "get /api/lessons/{id}/file",
            "put /api/lessons/{id}/place",
            "post /api/lessons/{id}/slides",
            "post /api/lessons/{id}/shares",
            "delete /api/ladders/{id}",
            "get /api/ladders/{id}/desks",
            "delete /api/ladders/{id}/desks/{desk}",
            "post /api/ladders/{id}/link",
            "put /api/ladders/{id}/rules",
            "put /api/ladders/{id}/lesson",
            "get /api/ladders/{id}/second-look",
            "get /api/ladders/{id}/shares",
            "post /api/ladders/{id}/shares",
            "delete /api/shares/{id}",
            "put /api/scenarios/{id}",
            "delete /api/scenarios/{id}",
            "get /api/classes/{id}",
            "put /api/classes/{id}",
            "delete /api/classes/{id}",
            "post /api/classes/{id}/roster",
            "post /api/classes/{id}/students",
            "put /api/classes/{id}/students/{student}",
            "delete /api/classes/{id}/students/{student}",
            "post /api/classes/{id}/students/{student}/code",
            "post /api/classes/{id}/students/{student}/merge",
            "get /api/classes/{id}/students/{student}/stored",
            "get /api/classes/{id}/students/{student}/card.svg",
            "post /api/classes/{id}/assignments",
            "post /api/assignments",
            "get /api/classes/{id}/results",
            "get /api/classes/{id}/results.csv",
            "get /api/classes/{id}/results.xlsx",
            "post /api/classes/{id}/next",
            "get /api/assignments/{id}",
            "get /api/live/{id}",
            "delete /api/live/{id}",
            "get /api/live/{id}/at",
            "get /api/live/{id}/code.svg",
            "get /api/live/{id}/socket",
            "post /api/live/{id}/events",
            "post /api/live/{id}/questions",
            "put /api/assignments/{id}",
            "delete /api/assignments/{id}",
            "post /api/assignments/{id}/give-back",
            "post /api/assignments/{id}/desks/{desk}/open",
            "put /api/assignments/{id}/desks/{desk}/rungs/{rung}",
        ],
    ),
    (
        &[Student],
        &[
            "put /api/desk/{link}/rungs/{number}",
            "post /api/desk/{link}/hand-in",
            "post /api/desk/{link}/again",
            "get /api/desk/{link}/rungs/{number}/lines/{line}/picture",
            "get /api/desk/{link}/rungs/{number}/working.svg",
            "post /api/join/{code}/events",
            "get /api/join/{code}/slides/{slide}/{step}",
            "get /api/join/{code}/socket",
        ],
    ),
    (
        &[Administrator],
        &[
            "get /api/audit",
            "get /api/outbox",
            "get /api/teachers",
            "post /api/invitations",
            "put /api/site/sign-up",
            "post /api/teachers/{id}/administrator",
        ],
    ),
];

/// Whole requests for those whose body is read before it is asked who may: what is refused is not refused for its shape.
fn body(operation: &str) -> Value {
    let plan = json!({"title": "", "next_key": 1, "rungs": [], "order": {
        "skills": ["equations.linear"], "grip": 1, "tilt": 0, "climb": 0, "seed": 1}});
    let rules =
        json!({"hints": 3, "alone": true, "feedback": "at_once", "staged": false, "due": null});
    let lesson = || {
        let new = lesson::Lesson::new("Equations", 7, teaching::skill::Strand::Algebra, 45);
        serde_json::to_value(new.expect("a lesson")).expect("plain data")
    };
    let slide = || lesson()["slides"][0].clone();
    match operation {
        "put /api/lessons/{id}" => json!({"based_on": 0, "lesson": lesson()}),
        "put /api/lessons/{id}/bench" => json!({"based_on": 7, "plan": plan}),
        "post /api/lessons/{id}/ladders" => json!({"title": "Climb", "plan": plan}),
        "post /api/lessons/{id}/versions/{revision}" => json!({"based_on": 0}),
        "put /api/lessons/{id}/place" => json!({"place": "shelf"}),
        "post /api/lessons/{id}/slides" => json!({"slide": slide()}),
        "post /api/lessons/{id}/shares" | "post /api/ladders/{id}/shares" => {
            json!({"kind": "look"})
        }
        "put /api/ladders/{id}/rules" => json!({"hints": 3, "alone": true}),
        "put /api/classes/{id}" => {
            json!({"title": "7b", "grade": 7, "methods": {}, "keep_days": 30})
        }
        "post /api/classes/{id}/students" => json!({"names": ["Zed"]}),
        "put /api/classes/{id}/students/{student}" => json!({"name": "Ada", "hidden": false}),
        "post /api/classes/{id}/students/{student}/merge" => json!({"other": 2}),
        "post /api/classes/{id}/assignments" | "post /api/assignments" => {
            json!({"ladder": 1, "rules": rules})
        }
        "post /api/classes/{id}/next" => json!({"minutes": 20, "seed": 1}),
        "put /api/assignments/{id}" => rules,
        "put /api/assignments/{id}/desks/{desk}/rungs/{rung}" => json!({"mark": "right"}),
        "put /api/scenarios/{id}" => {
            let tray = json!({"one": "tray", "many": "trays", "least": 2, "most": 2000});
            let (people, place) = (["Ada", "Noor"], "the school kitchen");
            let world =
                json!({"title": "Kitchen", "people": people, "place": place, "things": [tray]});
            json!({"based_on": 0, "world": world})
        }
        "put /api/desk/{link}/rungs/{number}" => {
            json!({"based_on": 0, "lines": [{"text": "x = 1"}]})
        }
        "post /api/live" => json!({"lesson": 1}),
        "post /api/live/{id}/events" => json!({"kind": "paused", "paused": true}),
        "post /api/live/{id}/questions" => json!({"wanted": {"from": "typed", "text": "Why?"}}),
        "post /api/join/{code}/events" => {
            json!({"token": "abcdefgh", "does": {"kind": "hand", "up": true}})
        }
        "put /api/site/sign-up" => json!({"sign_up": "open"}),
        "post /api/teachers/{id}/administrator" => json!({"administrator": false}),
        _ => json!({}),
    }
}

struct House {
    db: Db,
    roles: BTreeMap<Role, Teacher>,
    /// What stands for the names in the paths.
    ids: BTreeMap<&'static str, String>,
    desk: String,
    page: String,
    links: BTreeMap<&'static str, String>,
}

async fn signed_in(db: &Db, name: &str, hash: &str) -> (TeacherId, Teacher) {
    let id = store::teacher::create(db, name, name, hash).await.expect("kept");
    let app = router(App::new(db.clone(), Site::default()), Path::new("/nowhere"));
    let mut teacher = Teacher { app, cookie: String::new() };
    let given = json!({"sign_in": name, "password": "clover"});
    let (_, _, cookie) = teacher.raw("POST", "/api/sign-in", Some(given)).await;
    teacher.cookie = cookie.expect("a cookie");
    (id, teacher)
}

/// A lesson with a ladder and an image, a class with an assignment on which a student has written, and three shares.
async fn house() -> House {
    let db = scratch().await.expect("a database").db;
    let hash = password::hash("clover").expect("hashed");
    let mut roles = BTreeMap::new();
    // The first account administers, and owns nothing here.
    let (first, administrator) = signed_in(&db, "administrator", &hash).await;
    store::teacher::make_administrator(&db, first).await.expect("set");
    roles.insert(Administrator, administrator);
    let (orla, owner) = signed_in(&db, "orla", &hash).await;
    for (role, name) in
        [(OtherTeacher, "other"), (Looks, "looks"), (Copies, "copies"), (Edits, "edits")]
    {
        roles.insert(role, signed_in(&db, name, &hash).await.1);
    }
    let nobody = Teacher { app: owner.app.clone(), cookie: String::new() };
    let lesson = owner.lesson("Equations", 7).await;
    let plan = json!({"title": "", "next_key": 1, "rungs": [], "order": {
        "skills": ["equations.linear"], "grip": 2, "tilt": 0, "climb": 1, "seed": 7}});
    let new = json!({"title": "Climb", "plan": plan});
    let path = format!("/api/lessons/{lesson}/ladders");
    let ladder = owner.ask("POST", &path, Some(new)).await["id"].as_u64().expect("an id");
    let image = store::image::create(&db, orla, "png", b"image").await.expect("kept");
    let mut kept = store::lesson::find(&db, orla, LessonId(lesson)).await.expect("there").lesson;
    let shown = lesson::blocks::ImageBlock { image: image.0, alt: "A".into(), caption: "".into() };
    kept.slides[0].blocks.push(lesson::blocks::Block::Image(shown));
    store::lesson::save(&db, orla, LessonId(lesson), 1, &kept).await.expect("saved");
    let mut links = BTreeMap::new();
    for (name, kind) in
        [("look", ShareKind::Look), ("copy", ShareKind::Copy), ("edit", ShareKind::Edit)]
    {
        let what = Shared::Lesson(LessonId(lesson));
        let made = share::create(&db, orla, what, kind, false, None).await.expect("shared");
        links.insert(name, made.link);
    }
    let going_in = format!("/api/shared/{}/edit", links["edit"]);
    roles[&Edits].ask("POST", &going_in, Some(json!({}))).await;
    let mut class_of = Vec::new();
    for title in ["7b", "8a"] {
        let made = json!({"title": title, "grade": 7});
        let class = owner.ask("POST", "/api/classes", Some(made)).await["id"].as_u64();
        let class = ClassId(class.expect("an id"));
        let names = ["Ada", "Bo"].map(str::to_owned);
        store::class::take_in(&db, orla, class, &names).await.expect("kept");
        let link = store::class::find(&db, orla, class).await.expect("kept").link;
        let who = store::class::students(&db, orla, class).await.expect("two").remove(0);
        let mut student = Teacher { app: nobody.app.clone(), cookie: String::new() };
        let enter = format!("/api/class/{link}/enter");
        let (_, _, cookie) = student.raw("POST", &enter, Some(json!({"code": who.code}))).await;
        student.cookie = cookie.expect("a cookie");
        let role = if title == "7b" { Student } else { OtherStudent };
        roles.insert(role, student);
        class_of.push((class, link, who.id));
    }
    let (class, page, student) = class_of.remove(0);
    let rules = json!({"hints": 3, "alone": true, "feedback": "at_once", "staged": false});
    let path = format!("/api/classes/{class}/assignments");
    let new = json!({"ladder": ladder, "rules": rules});
    let given = owner.ask("POST", &path, Some(new)).await["id"].as_u64().expect("an id");
    let given = store::assignment::find(&db, orla, store::AssignmentId(given)).await;
    let given = given.expect("given");
    let desk = store::assignment::desk(&db, &given, student).await.expect("a desk");
    let written = json!({"based_on": 0, "lines": [{"text": "x = 1"}]});
    let rung = format!("/api/desk/{}/rungs/1", given.link);
    roles[&Student].ask("PUT", &rung, Some(written)).await;
    let opened = json!({"lesson": lesson, "class": class});
    let live = owner.ask("POST", "/api/live", Some(opened)).await["id"].clone();
    let view = owner.ask("GET", &format!("/api/live/{live}"), None).await;
    let code = view["live"]["code"].as_str().expect("a code").to_owned();
    let join = format!("/api/join/{code}");
    roles[&Student].ask("POST", &join, Some(json!({}))).await;
    roles.insert(Owner, owner);
    roles.insert(Nobody, nobody);
    let share = share::of(&db, orla, Shared::Lesson(LessonId(lesson))).await.expect("three");
    let ids = BTreeMap::from([
        ("lessons", lesson.to_string()),
        ("ladders", ladder.to_string()),
        ("classes", class.to_string()),
        ("assignments", given.id.to_string()),
        ("images", image.to_string()),
        ("shares", share[0].id.to_string()),
        ("scenarios", "1".to_owned()),
        ("teachers", first.to_string()),
        ("student", student.to_string()),
        ("desk", desk.to_string()),
        ("live", live.to_string()),
        ("code", code),
    ]);
    House { db, roles, ids, desk: given.link, page, links }
}

impl House {
    /// The path of an operation with what stands there.
    fn path(&self, template: &str, role: Role) -> String {
        let kind = template.split('/').nth(2).unwrap_or_default();
        let link = match (kind, role) {
            ("desk", _) => &self.desk,
            ("class", _) => &self.page,
            (_, Copies) => &self.links["copy"],
            (_, Edits) => &self.links["edit"],
            _ => &self.links["look"],
        };
        // An image of a shared lesson is named behind its link.
        let own = if kind == "shared" { "images" } else { kind };
        let id = self.ids.get(own).map_or("1", String::as_str);
        [("{id}", id), ("{link}", link), ("{number}", "1"), ("{rung}", "1"), ("{line}", "1")]
            .into_iter()
            .chain([("{student}", self.ids["student"].as_str()), ("{desk}", &self.ids["desk"])])
            .chain([("{revision}", "1"), ("{name}", "nothing"), ("{slide}", "0"), ("{step}", "1")])
            .chain([("{code}", self.ids["code"].as_str()), ("/at", "/at?seq=1")])
            .fold(template.to_owned(), |path, (name, with)| path.replace(name, with))
    }

    async fn status(&self, role: Role, operation: &str) -> StatusCode {
        let (method, template) = operation.split_once(' ').expect("a method and a path");
        let path = self.path(template, role);
        let asked = Some(body(operation));
        self.roles[&role].raw(&method.to_uppercase(), &path, asked).await.0
    }
}

fn is_refused(status: StatusCode) -> bool {
    matches!(status, StatusCode::UNAUTHORIZED | StatusCode::FORBIDDEN | StatusCode::NOT_FOUND)
}

/// Every operation of the API, as the description names it.
fn operations() -> Vec<String> {
    let description: Value = serde_json::from_str(&openapi_json().expect("plain")).expect("JSON");
    let mut found = Vec::new();
    for (path, methods) in description["paths"].as_object().expect("paths") {
        for method in methods.as_object().expect("methods").keys() {
            found.push(format!("{method} {path}"));
        }
    }
    found
}

fn allowed(operation: &str) -> Option<&'static [Role]> {
    let row = TABLE.iter().find(|(_, operations)| operations.contains(&operation));
    row.map(|(roles, _)| *roles)
}

#[test]
fn every_route_stands_in_the_table_once() {
    for operation in operations() {
        let times = TABLE.iter().flat_map(|(_, all)| *all).filter(|one| **one == operation).count();
        assert_eq!(times, 1, "say in the table of roles who may “{operation}”");
    }
    let known = operations();
    for operation in TABLE.iter().flat_map(|(_, all)| *all) {
        assert!(known.iter().any(|one| one == operation), "there is no “{operation}” any more");
    }
}

#[tokio::test]
async fn whoever_may_not_is_refused_at_every_route() {
    let house = house().await;
    let mut refused = 0;
    let mut let_in = Vec::new();
    for operation in operations() {
        let may = allowed(&operation).unwrap_or_default();
        for &role in EVERYBODY.iter().filter(|role| !may.contains(role)) {
            let status = house.status(role, &operation).await;
            if !is_refused(status) {
                let_in.push(format!("{role:?} may {operation}: {status}"));
            }
            refused += 1;
        }
    }
    assert!(let_in.is_empty(), "{}", let_in.join("\n"));
    assert!(refused > 400, "{refused}");
    // Nothing was changed by any of it.
    let orla = TeacherId(2);
    let lesson = LessonId(house.ids["lessons"].parse().expect("an id"));
    let kept = store::lesson::find(&house.db, orla, lesson).await.expect("there");
    assert_eq!(kept.revision, 2);
    let class = ClassId(house.ids["classes"].parse().expect("an id"));
    let students = store::class::students(&house.db, orla, class).await.expect("theirs");
    let names: Vec<&str> = students.iter().map(|one| one.name.as_str()).collect();
    assert_eq!(names, ["Ada", "Bo"]);
    let student = StudentId(house.ids["student"].parse().expect("an id"));
    assert!(store::class::stored_of(&house.db, orla, class, student).await.is_ok());
}

#[tokio::test]
async fn whoever_may_look_is_let_in() {
    let house = house().await;
    for operation in operations().iter().filter(|one| one.starts_with("get ")) {
        for &role in allowed(operation).unwrap_or_default() {
            // Pictures of a working are drawn only where the line is part of a chain; scenarios are not read by number.
            let may_be_none = operation.contains("/picture") || operation.contains("working.svg");
            if may_be_none || operation.contains("/outbox") {
                continue;
            }
            let status = house.status(role, operation).await;
            assert!(!is_refused(status), "{role:?} may not {operation}: {status}");
        }
    }
}

#[tokio::test]
async fn a_link_lets_in_as_far_as_it_says() {
    let house = house().await;
    let other = &house.roles[&OtherTeacher];
    let at = |name: &str, deed: &str| format!("/api/shared/{}{deed}", house.links[name]);
    for (name, copies, edits) in
        [("look", false, false), ("copy", true, false), ("edit", true, true)]
    {
        let (copied, ..) = other.raw("POST", &at(name, "/copy"), Some(json!({}))).await;
        assert_eq!(copied == StatusCode::OK, copies, "{name}: {copied}");
        let (edited, ..) = other.raw("POST", &at(name, "/edit"), Some(json!({}))).await;
        assert_eq!(edited == StatusCode::OK, edits, "{name}: {edited}");
    }
    // What is for its teacher alone is not shown.
    let nobody = &house.roles[&Nobody];
    let shown = nobody.ask("GET", &at("look", ""), None).await;
    assert_eq!(shown["lesson"]["lesson"]["slides"][0]["notes"], "");
    assert_eq!(shown["from_whom"], "orla");
}
