//! What a teacher and a class do over the API: examples that are changed, ladders that are drawn and printed, desks that
//! are written on.

use crate::common::{Teacher, teacher};
use axum::http::StatusCode;
use serde_json::{Value, json};

/// A bench on which nothing lies yet.
fn plan(order: Value) -> Value {
    json!({"title": "", "order": order, "rungs": [], "next_key": 1})
}

/// A change on the bench.
fn asked(plan: &Value, change: Value) -> Option<Value> {
    Some(json!({"plan": plan, "change": change}))
}

async fn drawn(teacher: &Teacher, order: Value) -> Value {
    let change = json!({"kind": "draw", "order": order});
    teacher.ask("POST", "/api/bench/change", asked(&plan(order), change)).await
}

fn order(seed: u64) -> Value {
    json!({"skills": ["ratio.missing-term", "equations.linear"], "grip": 3, "tilt": 3, "climb": 3, "seed": seed})
}

#[tokio::test]
async fn a_typed_problem_is_worked_by_each_of_its_methods() {
    let teacher = teacher().await;
    for (text, latex, methods, last) in [
        ("3(2x - 5) = 27", false, 2, "x = 7"),
        ("n/6 = 10/15", false, 3, "n = 4"),
        ("\\frac{n}{6}=\\frac{10}{15}", true, 3, "n = 4"),
        ("2:3 = n:12", false, 3, "n = 8"),
    ] {
        let asked = |method: Value| {
            let problem = json!({"text": text, "latex": latex});
            Some(json!({"kind": "typed", "problem": problem, "method": method}))
        };
        let found = teacher.ask("POST", "/api/examples", asked(Value::Null)).await;
        let all = found["example"]["methods"].as_array().expect("methods").clone();
        assert_eq!(all.len(), methods, "{text}");
        for method in all {
            let found = teacher.ask("POST", "/api/examples", asked(method["id"].clone())).await;
            assert_eq!(found["example"]["method"], method["id"]);
            let lines = found["example"]["working"].as_array().expect("lines");
            assert_eq!(lines.last().expect("a line")["math"], last, "{text} by {}", method["id"]);
            let proved = lines.iter().skip(1).all(|line| line["verdict"] == "holds");
            assert!(proved, "{text} by {}: {lines:?}", method["id"]);
        }
    }
    let problem = json!({"text": "3x = 12"});
    let asked = json!({"kind": "typed", "problem": problem, "method": "cross-multiply"});
    let told = teacher.refused("POST", "/api/examples", asked).await;
    assert_eq!(told.1, "That method does not fit this problem. Choose another one.");
}

#[tokio::test]
async fn an_example_is_changed_on_the_bench_and_kept_on_a_slide_as_it_was_made() {
    let teacher = teacher().await;
    let problem = json!({"text": "3(2x - 5) = 27"});
    let asked = json!({"kind": "typed", "problem": problem});
    let begun = teacher.ask("POST", "/api/examples", Some(asked)).await;
    let change = |example: &Value, change: Value| json!({"example": example, "change": change});
    let write = json!({"kind": "write", "line": 1, "text": {"text": "2x - 5 = 9"}});
    let own =
        teacher.ask("POST", "/api/examples/change", Some(change(&begun["example"], write))).await;
    assert_eq!(own["example"]["working"][1]["math"], "2x - 5 = 9");
    assert_eq!(own["example"]["working"][1]["verdict"], "holds");
    let wrong = json!({"kind": "write", "line": 1, "text": {"text": "2x - = 9"}});
    let told =
        teacher.refused("POST", "/api/examples/change", change(&begun["example"], wrong)).await;
    assert_eq!(told.1, "Something is missing after “-”.");
    let slips = teacher.ask("POST", "/api/examples/slips", Some(begun["example"].clone())).await;
    let put = json!({"kind": "slip", "slip": slips[0]["slip"]});
    let broken =
        teacher.ask("POST", "/api/examples/change", Some(change(&begun["example"], put))).await;
    let id = teacher.lesson("Equations", 8).await;
    let path = format!("/api/lessons/{id}");
    let mut lesson = teacher.ask("GET", &path, None).await["lesson"].clone();
    let block = |view: &Value| json!({"kind": "worked_example", "example": view["example"]});
    lesson["slides"][0]["blocks"] = json!([block(&own), block(&broken)]);
    let body = json!({"based_on": 1, "lesson": lesson});
    let saved = teacher.ask("PUT", &path, Some(body)).await;
    assert_eq!(saved["lesson"], lesson);
    // The line that is there to break counts neither way.
    assert_eq!(saved["checked"][0]["lines"], saved["checked"][0]["hold"]);
}

#[tokio::test]
async fn a_drawn_example_brings_its_picture() {
    let teacher = teacher().await;
    let asked = json!({"kind": "drawn", "skill": "pythagoras", "stage": "grip", "seed": 3});
    let view = teacher.ask("POST", "/api/examples", Some(asked)).await;
    let figure = &view["example"]["figure"];
    assert!(figure.is_object(), "{view}");
    assert_eq!(&view["pictures"][0]["figure"], figure);
    let id = teacher.lesson("Triangles", 8).await;
    let path = format!("/api/lessons/{id}");
    let mut lesson = teacher.ask("GET", &path, None).await["lesson"].clone();
    let mut forged = view["example"].clone();
    forged["figure"] = Value::Null;
    let block = |example: &Value| json!({"kind": "worked_example", "example": example});
    lesson["slides"][0]["blocks"] = json!([block(&view["example"]), block(&forged)]);
    let body = json!({"based_on": 1, "lesson": lesson});
    let saved = teacher.ask("PUT", &path, Some(body)).await;
    // Once, although it stands there twice: the second is made again from its draws.
    assert_eq!(saved["pictures"], view["pictures"]);
}

#[tokio::test]
async fn the_same_order_draws_the_same_ladder_and_hangs_as_drawn() {
    let teacher = teacher().await;
    let lesson = teacher.lesson("Ratio", 6).await;
    let made = drawn(&teacher, order(8)).await;
    assert_eq!(made, drawn(&teacher, order(8)).await);
    assert_ne!(made["rungs"], drawn(&teacher, order(9)).await["rungs"]);
    let path = format!("/api/lessons/{lesson}/ladders");
    let new = json!({"title": "  Climb  ", "plan": plan(order(8))});
    let id = teacher.ask("POST", &path, Some(new)).await["id"].as_u64().expect("an id");
    let opened = teacher.ask("GET", &format!("/api/ladders/{id}"), None).await;
    let posed = |rungs: &Value| {
        let all = rungs.as_array().expect("rungs").iter();
        all.map(|rung| rung["rung"].clone()).collect::<Vec<_>>()
    };
    assert_eq!(posed(&opened["rungs"]), posed(&made["rungs"]));
    assert_eq!((&opened["title"], &opened["versions"]), (&json!("Climb"), &json!(true)));
    let listed = teacher.ask("GET", &path, None).await;
    assert_eq!(listed[0]["rungs"], 9);
    assert_eq!(listed[0]["desk"], opened["desk"]);
    let told = teacher.refused("POST", &path, json!({"title": " ", "plan": plan(order(8))})).await;
    assert_eq!(told.1, "Give the ladder a title of at most 120 characters.");
}

#[tokio::test]
async fn a_ladder_is_made_on_the_bench_change_by_change() {
    let teacher = teacher().await;
    let lesson = teacher.lesson("Ratio", 6).await;
    let bench = format!("/api/lessons/{lesson}/bench");
    let empty = teacher.ask("GET", &bench, None).await;
    assert_eq!((&empty["revision"], &empty["rungs"]), (&json!(0), &json!([])));
    let made = drawn(&teacher, order(8)).await;
    let key = made["rungs"][0]["key"].clone();
    let change = async |plan: &Value, change: Value| {
        teacher.ask("POST", "/api/bench/change", asked(plan, change)).await
    };
    let locked = change(&made["plan"], json!({"kind": "lock", "key": key, "locked": true})).await;
    assert_eq!(locked["rungs"][0]["locked"], true);
    let again = json!({"kind": "draw", "order": order(77)});
    let again = change(&locked["plan"], again).await;
    assert_eq!(again["rungs"][0]["rung"], made["rungs"][0]["rung"]);
    assert_ne!(again["rungs"][1]["rung"], made["rungs"][1]["rung"]);
    let typed = json!({"kind": "typed", "key": key, "problem": "4x = 28"});
    let typed = change(&again["plan"], typed).await;
    assert_eq!(typed["rungs"][0]["rung"]["answer"]["text"], "x = 7");
    assert_eq!(
        (&typed["rungs"][0]["typed"], &typed["rungs"][0]["numbers"]),
        (&json!(true), &json!(["4", "28"]))
    );
    let body = asked(&typed["plan"], json!({"kind": "typed", "key": key, "problem": "4x = "}));
    let told = teacher.refused("POST", "/api/bench/change", body.expect("a change")).await;
    assert!(told.1.ends_with('.'), "{}", told.1);
    // Saved, opened again, saved by somebody else in between.
    let save = |based_on: u32| json!({"based_on": based_on, "plan": typed["plan"]});
    assert_eq!(teacher.ask("PUT", &bench, Some(save(0))).await["revision"], 1);
    let opened = teacher.ask("GET", &bench, None).await;
    assert_eq!((&opened["plan"], &opened["rungs"]), (&typed["plan"], &typed["rungs"]));
    assert_eq!(teacher.ask("PUT", &bench, Some(save(0))).await["revision"], 1, "known");
    let late = json!({"based_on": 0, "plan": made["plan"]});
    let (status, ..) = teacher.raw("PUT", &bench, Some(late)).await;
    assert_eq!(status, StatusCode::CONFLICT);
    let new = json!({"title": "Climb", "plan": typed["plan"]});
    teacher.ask("POST", &format!("/api/lessons/{lesson}/ladders"), Some(new)).await;
    assert_eq!(teacher.ask("GET", &bench, None).await["rungs"], json!([]));
}

#[tokio::test]
async fn every_rung_climbs_and_its_picture_is_laid_out() {
    let teacher = teacher().await;
    let made = drawn(&teacher, order(21)).await;
    let stages: Vec<_> = made["rungs"]
        .as_array()
        .expect("rungs")
        .iter()
        .map(|r| r["rung"]["stage"].as_str().expect("a stage").to_owned())
        .collect();
    assert_eq!(stages.join(" "), "grip grip grip tilt tilt tilt climb climb climb");
    for rung in made["rungs"].as_array().expect("rungs") {
        let has = rung["rung"].get("figure").is_some();
        assert_eq!(has, rung.get("scene").is_some(), "{rung}");
        if has {
            assert!(!rung["scene"]["describes"].as_str().expect("words").is_empty());
        }
    }
}

#[tokio::test]
async fn sheets_and_keys_are_printed_as_pdf() {
    let teacher = teacher().await;
    let lesson = teacher.lesson("Ratio", 6).await;
    let new = json!({"title": "Climb", "plan": plan(order(8))});
    let path = format!("/api/lessons/{lesson}/ladders");
    let id = teacher.ask("POST", &path, Some(new)).await["id"].as_u64().expect("an id");
    let mut sizes = Vec::new();
    let others = ["sheet.pdf?version=B", "key.pdf?version=C&strength=advanced"];
    for file in ["sheet.pdf", "key.pdf", "key.pdf?full=true"].into_iter().chain(others) {
        let (status, bytes, _) =
            teacher.raw("GET", &format!("/api/ladders/{id}/{file}"), None).await;
        assert_eq!(status, StatusCode::OK);
        assert!(bytes.starts_with(b"%PDF"), "{file}");
        sizes.push(bytes.len());
    }
    assert!(sizes[2] > sizes[1], "the full key holds more: {sizes:?}");
    let (status, ..) =
        teacher.raw("GET", &format!("/api/ladders/{id}/sheet.pdf?version=Z"), None).await;
    assert!(status.is_client_error());
    let (status, ..) = teacher.raw("GET", "/api/ladders/999/sheet.pdf", None).await;
    assert_eq!(status, StatusCode::NOT_FOUND);
}

#[tokio::test]
async fn the_class_is_seen_as_it_writes() {
    let teacher = teacher().await;
    let lesson = teacher.lesson("Equations", 7).await;
    let one = json!({"skills": ["equations.linear"], "grip": 2, "tilt": 0, "climb": 0, "seed": 6});
    let path = format!("/api/lessons/{lesson}/ladders");
    let new = json!({"title": "Climb", "plan": plan(one)});
    let id = teacher.ask("POST", &path, Some(new)).await["id"].as_u64().expect("an id");
    let opened = teacher.ask("GET", &format!("/api/ladders/{id}"), None).await;
    let desk = format!("/api{}", opened["desk"].as_str().expect("a link"));
    let answer =
        opened["rungs"][0]["rung"]["answer"]["text"].as_str().expect("an answer").to_owned();

    let mut students = Vec::new();
    for name in ["Hana", "Leo"] {
        let mut student = Teacher { app: teacher.app.clone(), cookie: String::new() };
        let joining = Some(json!({"name": name}));
        let (_, _, cookie) = student.raw("POST", &format!("{desk}/join"), joining).await;
        student.cookie = cookie.expect("a cookie");
        students.push(student);
    }
    let write = |lines: Value| Some(json!({"based_on": 0, "lines": lines}));
    let right = json!([{"text": answer}]);
    let wrong = json!([{"text": "x = 1000"}, {"text": "x = ("}]);
    let kept = students[0].ask("PUT", &format!("{desk}/rungs/1"), write(right)).await;
    assert_eq!(kept["judgement"]["finished"], true, "{kept}");
    let kept = students[1].ask("PUT", &format!("{desk}/rungs/1"), write(wrong)).await;
    let words: Vec<_> = kept["judgement"]["lines"]
        .as_array()
        .expect("lines")
        .iter()
        .map(|line| line["verdict"]["word"].as_str().expect("a word"))
        .collect();
    assert_eq!(words, ["breaks", "cant_read"]);

    let class = teacher.list(&format!("/api/ladders/{id}/desks")).await;
    assert_eq!((&class[0]["student"], &class[1]["student"]), (&json!("Hana"), &json!("Leo")));
    assert_eq!(class[0]["rungs"][0]["finished"], true);
    assert_eq!(class[1]["rungs"][0]["finished"], false);
    assert_eq!(class[1]["rungs"][0]["lines"].as_array().map(Vec::len), Some(2));
    // Each student sees their own desk and nobody else's.
    let own = students[1].ask("GET", &desk, None).await;
    assert_eq!(
        (&own["student"], own["written"].as_array().map(Vec::len)),
        (&json!("Leo"), Some(1))
    );
}

#[tokio::test]
async fn the_catalogue_is_there_to_choose_from() {
    let teacher = teacher().await;
    let skills = teacher.ask("GET", "/api/skills", None).await;
    for skill in skills.as_array().expect("a list") {
        assert!(skill["objective"].as_str().expect("words").starts_with("I can "), "{skill}");
        assert!(skill["first_grade"].as_u64() <= skill["last_grade"].as_u64(), "{skill}");
        assert!(!skill["methods"].as_array().expect("methods").is_empty(), "{skill}");
    }
    assert!(skills.as_array().map(Vec::len) >= Some(2));
}

#[tokio::test]
async fn hints_pictures_and_copies_are_for_those_who_sit_at_the_desk() {
    let teacher = teacher().await;
    let lesson = teacher.lesson("Equations", 7).await;
    let one = json!({"skills": ["equations.linear"], "grip": 2, "tilt": 0, "climb": 0, "seed": 6});
    let new = json!({"title": "Climb", "plan": plan(one)});
    let path = format!("/api/lessons/{lesson}/ladders");
    let id = teacher.ask("POST", &path, Some(new)).await["id"].as_u64().expect("an id");
    let opened = teacher.ask("GET", &format!("/api/ladders/{id}"), None).await;
    assert_eq!(opened["hints"], 3, "all hints, unless the teacher says otherwise");
    let desk = format!("/api{}", opened["desk"].as_str().expect("a link"));
    let picture = format!("{desk}/rungs/1/lines/1/picture");
    let copy = format!("{desk}/rungs/1/working.svg");

    let mut hana = Teacher { app: teacher.app.clone(), cookie: String::new() };
    for path in [&picture, &copy] {
        let (status, ..) = hana.raw("GET", path, None).await;
        assert_eq!(status, StatusCode::UNAUTHORIZED, "{path} before joining");
    }
    let joining = Some(json!({"name": "Hana"}));
    let (_, _, cookie) = hana.raw("POST", &format!("{desk}/join"), joining).await;
    hana.cookie = cookie.expect("a cookie");
    let seated = hana.ask("GET", &desk, None).await;
    assert_eq!(seated["rungs"][0]["keypad"]["letters"][0], "x");

    // A line that breaks comes with hints, as strong as the teacher allows.
    let written =
        |based_on: u32| Some(json!({"based_on": based_on, "lines": [{"text": "x = 1000"}]}));
    let kept = hana.ask("PUT", &format!("{desk}/rungs/1"), written(0)).await;
    let count =
        |kept: &Value| kept["judgement"]["lines"][0]["hints"].as_array().map_or(0, Vec::len);
    assert!(count(&kept) >= 2, "{kept}");
    let hints = format!("/api/ladders/{id}/rules");
    for (allowed, given) in [(1, 1), (0, 0)] {
        let (status, ..) =
            teacher.raw("PUT", &hints, Some(json!({"hints": allowed, "alone": true}))).await;
        assert_eq!(status, StatusCode::NO_CONTENT);
        let seated = hana.ask("GET", &desk, None).await;
        assert_eq!(count(&seated["written"][0]), given);
    }
    let (status, says) = teacher.refused("PUT", &hints, json!({"hints": 4, "alone": true})).await;
    assert_eq!(status, StatusCode::UNPROCESSABLE_ENTITY);
    assert!(says.contains("three strengths"), "{says}");

    // The step as pictures, where its strongest hint may be seen, and the whole working as one.
    assert_eq!((&seated["pictures"], seated["written"][0].is_null()), (&json!(true), true));
    let (status, says) = hana.refused("GET", &picture, json!(null)).await;
    assert_eq!(status, StatusCode::NOT_FOUND);
    assert_eq!(says, "The picture comes once the answer stands there.");
    teacher.raw("PUT", &hints, Some(json!({"hints": 3, "alone": true}))).await;
    let scenes = hana.ask("GET", &picture, None).await;
    for line in ["above", "line"] {
        assert!(scenes[line]["curves"]["shapes"].as_array().is_some_and(|all| all.len() > 4));
        assert!(
            scenes[line]["solutions"]["describes"].as_str().is_some_and(|d| d.contains("Marked"))
        );
    }
    let (status, svg, _) = hana.raw("GET", &copy, None).await;
    assert_eq!(status, StatusCode::OK);
    assert!(String::from_utf8(svg).expect("text").starts_with("<svg"));
    let (status, says) =
        hana.refused("GET", &format!("{desk}/rungs/1/lines/7/picture"), json!(null)).await;
    assert_eq!(status, StatusCode::NOT_FOUND);
    assert_eq!(says, "There is nothing to draw for this step.");

    // Nobody else's ladder.
    let mut stranger = Teacher { app: teacher.app.clone(), cookie: String::new() };
    stranger.cookie.clone_from(&hana.cookie);
    let (status, ..) = stranger.raw("PUT", &hints, Some(json!({"hints": 3, "alone": true}))).await;
    assert_eq!(status, StatusCode::UNAUTHORIZED);
}

#[tokio::test]
async fn stories_are_told_of_a_scenario_of_the_teachers_own() {
    let teacher = teacher().await;
    let world = json!({
        "title": "The kitchen", "people": ["Ada", "Noor"], "place": "the school kitchen",
        "things": [{"one": "tray", "many": "trays", "least": 2, "most": 2000}],
    });
    let stories = teacher.ask("POST", "/api/scenarios/stories", Some(world.clone())).await;
    let stories = stories.as_array().expect("stories").clone();
    let ours = stories.iter().filter(|story| story.to_string().contains("trays")).count();
    assert!(ours >= 3, "{stories:?}");
    let made = teacher.ask("POST", "/api/scenarios", Some(world.clone())).await;
    let listed = teacher.ask("GET", "/api/scenarios", None).await;
    assert_eq!((&listed[0]["id"], &listed[0]["world"]["title"]), (&made["id"], &world["title"]));
    let path = format!("/api/scenarios/{}", made["id"]);
    let mut short = world.clone();
    short["people"] = json!(["Ada"]);
    let told = teacher.refused("PUT", &path, json!({"based_on": 1, "world": short})).await;
    assert_eq!(told.1, "Name 2 to 12 people.");
    let body = json!({"based_on": 1, "world": world});
    assert_eq!(teacher.ask("PUT", &path, Some(body)).await["revision"], 2);
    let gone = teacher.raw("DELETE", &path, None).await;
    assert_eq!(gone.0, StatusCode::NO_CONTENT);
    assert_eq!(teacher.ask("GET", "/api/scenarios", None).await, json!([]));
}

#[tokio::test]
async fn a_bench_begins_with_what_its_lesson_teaches() {
    let teacher = teacher().await;
    let wanted = json!({"skill": "ratio.share", "minutes": 45, "seed": 4});
    let lesson = teacher.ask("POST", "/api/lessons/offer", Some(wanted)).await["id"].clone();
    let bench = teacher.ask("GET", &format!("/api/lessons/{lesson}/bench"), None).await;
    assert_eq!(bench["plan"]["order"]["skills"], json!(["ratio.share"]));
    let stages: Vec<&str> = bench["rungs"]
        .as_array()
        .expect("rungs")
        .iter()
        .filter_map(|rung| rung["rung"]["stage"].as_str())
        .collect();
    let count = |stage: &str| stages.iter().filter(|one| **one == stage).count();
    assert_eq!((count("grip"), count("tilt"), count("climb")), (3, 3, 3));
    // The bench of the shelf is of no lesson, and begins with nothing.
    let own = teacher.ask("GET", "/api/bench", None).await;
    assert_eq!((&own["revision"], &own["rungs"]), (&json!(0), &json!([])));
}

#[tokio::test]
async fn a_ladder_is_made_by_itself_hung_and_taken_away() {
    let teacher = teacher().await;
    let plan = plan(order(5));
    let refused = json!({"title": " ", "plan": plan});
    let (_, says) = teacher.refused("POST", "/api/ladders", refused).await;
    assert_eq!(says, "Give the ladder a title of at most 120 characters.");
    let new = json!({"title": "A sheet", "plan": plan});
    let id = teacher.ask("POST", "/api/ladders", Some(new)).await["id"].clone();
    let path = format!("/api/ladders/{id}");
    let opened = teacher.ask("GET", &path, None).await;
    assert!(opened.get("lesson").is_none());
    let on_shelf = teacher.ask("GET", "/api/ladders?words=sheet", None).await;
    assert_eq!(on_shelf["entries"].as_array().map(Vec::len), Some(1));
    let (status, pdf, _) = teacher.raw("GET", &format!("{path}/sheet.pdf"), None).await;
    assert!(status == StatusCode::OK && pdf.starts_with(b"%PDF"));
    let lesson = teacher.lesson("Ratio", 6).await;
    let on = json!({"lesson": lesson});
    teacher.raw("PUT", &format!("{path}/lesson"), Some(on)).await;
    assert_eq!(teacher.ask("GET", &path, None).await["lesson"], lesson);
    let hung = teacher.ask("GET", &format!("/api/lessons/{lesson}/ladders"), None).await;
    assert_eq!(hung[0]["id"], id);
    let (status, _) =
        teacher.refused("PUT", &format!("{path}/lesson"), json!({"lesson": 999})).await;
    assert_eq!(status, StatusCode::NOT_FOUND);
    teacher.raw("DELETE", &path, None).await;
    assert_eq!(teacher.refused("GET", &path, json!(null)).await.0, StatusCode::NOT_FOUND);
    assert_eq!(
        teacher.ask("GET", &format!("/api/lessons/{lesson}/ladders"), None).await,
        json!([])
    );
}
