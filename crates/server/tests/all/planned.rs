//! What a teacher does with lessons over the API: made, changed, offered, found, copied, taken in, gone back to.

use crate::common::teacher;
use axum::http::StatusCode;
use serde_json::{Value, json};

#[tokio::test]
async fn a_new_lesson_stands_on_the_shelf_by_its_grade() {
    let teacher = teacher().await;
    for (topic, grade) in [("Late", 9), ("Early", 2), ("Middle", 6)] {
        teacher.lesson(topic, grade).await;
    }
    let shelf = teacher.list("/api/lessons").await;
    let seen: Vec<_> = shelf
        .as_array()
        .expect("a list")
        .iter()
        .map(|l| (l["grade"].as_u64().expect("a grade"), l["title"].as_str().expect("a title")))
        .collect();
    assert_eq!(seen, [(2, "Early"), (6, "Middle"), (9, "Late")]);
    assert_eq!(shelf[0]["minutes"], 45);
    assert_eq!(shelf[0]["slides"], 1);
    assert_eq!(shelf[0]["ladders"], 0);
}

#[tokio::test]
async fn a_changed_lesson_comes_back_changed() {
    let teacher = teacher().await;
    let id = teacher.lesson("Equations", 7).await;
    let path = format!("/api/lessons/{id}");
    let opened = teacher.ask("GET", &path, None).await;
    assert_eq!((&opened["revision"], &opened["minutes_over"]), (&json!(1), &json!(0)));
    let mut lesson = opened["lesson"].clone();
    lesson["title"] = json!("Equations in balance");
    lesson["objectives"] = json!(["I can solve an equation."]);
    lesson["phases"][0]["minutes"] = json!(14);
    let slide = json!({"id": 9, "title": "More", "phase": "review", "minutes": 5, "notes": "Softly.",
                       "blocks": [{"kind": "text", "text": "What is $x$?"}]});
    lesson["slides"].as_array_mut().expect("slides").push(slide);
    let saved = teacher.ask("PUT", &path, Some(json!({"based_on": 1, "lesson": lesson}))).await;
    assert_eq!((&saved["revision"], &saved["lesson"]), (&json!(2), &lesson));
    assert_eq!(saved["minutes_over"], 10);
    assert_eq!(teacher.ask("GET", &path, None).await, saved);
    assert_eq!(teacher.list("/api/lessons").await[0]["title"], "Equations in balance");
}

#[tokio::test]
#[rustfmt::skip]
async fn a_lesson_that_cannot_be_kept_is_refused_with_a_sentence() {
    let teacher = teacher().await;
    let id = teacher.lesson("Equations", 7).await;
    let path = format!("/api/lessons/{id}");
    let lesson = teacher.ask("GET", &path, None).await["lesson"].clone();
    let long = "x".repeat(5_000);
    for (pointer, value, says) in [
        ("/title",                  json!(""),           "Give the lesson a topic."),
        ("/title",                  json!("y".repeat(121)), "The topic is too long. Keep it to 120 characters."),
        ("/grade",                  json!(13),           "Choose a grade from kindergarten to 12."),
        ("/minutes",                json!(4),            "Choose a length between 5 and 300 minutes."),
        ("/version",                json!(99),           "This lesson was made by another version of Honey Ladder."),
        ("/slides/0/notes",         json!(long),         "A text on a slide is too long. Split it over two slides."),
        ("/slides/0/blocks/0/text", json!(long),         "A text on a slide is too long. Split it over two slides."),
        ("/objectives",             json!(vec!["I can"; 21]), "Keep to 20 objectives of at most 300 characters."),
        ("/slides/0/phase",         json!("lunch"),      "This does not have the shape that was expected: unknown variant `lunch`, expected one of `starter`, `teach`, `guided_practice`, `independent_practice`, `review`."),
    ] {
        let mut changed = lesson.clone();
        *changed.pointer_mut(pointer).expect("there") = value;
        let told = teacher.refused("PUT", &path, json!({"based_on": 1, "lesson": changed})).await;
        assert_eq!(told, (StatusCode::UNPROCESSABLE_ENTITY, says.to_owned()), "{pointer}");
    }
    let many = vec![lesson["slides"][0].clone(); 130];
    let mut changed = lesson.clone();
    changed["slides"] = json!(many);
    let told = teacher.refused("PUT", &path, json!({"based_on": 1, "lesson": changed})).await;
    assert_eq!(told.1, "A lesson can have at most 120 slides.");
    assert_eq!(teacher.ask("GET", &path, None).await["revision"], 1, "nothing was changed");
}

fn wanted(skill: &str) -> Option<Value> {
    Some(json!({"skill": skill, "method": null, "grade": 7, "minutes": 45, "seed": 11}))
}

#[tokio::test]
async fn a_whole_lesson_is_offered_with_its_ladder() {
    let teacher = teacher().await;
    let made = teacher.ask("POST", "/api/lessons/offer", wanted("percent.part")).await;
    let id = made["id"].as_u64().expect("an id");
    let opened = teacher.ask("GET", &format!("/api/lessons/{id}"), None).await;
    let lesson = &opened["lesson"];
    assert_eq!((&lesson["grade"], &lesson["minutes"]), (&json!(7), &json!(45)));
    assert_eq!(opened["minutes_over"], 0);
    let ladders = teacher.ask("GET", &format!("/api/lessons/{id}/ladders"), None).await;
    assert_eq!((ladders.as_array().map(Vec::len), &ladders[0]["rungs"]), (Some(1), &json!(12)));
    // The slide that practises leads to that ladder.
    let blocks: Vec<&Value> = lesson["slides"]
        .as_array()
        .expect("slides")
        .iter()
        .flat_map(|slide| slide["blocks"].as_array().expect("blocks"))
        .collect();
    let hung: Vec<_> = blocks.iter().filter(|block| block["kind"] == "ladder").collect();
    assert_eq!((hung.len(), &hung[0]["ladder"]), (1, &ladders[0]["id"]));
    let checked = opened["checked"].as_array().expect("checked");
    assert!(checked.iter().all(|one| one["lines"] == one["hold"]), "{checked:?}");

    let (status, says) =
        teacher.refused("POST", "/api/lessons/offer", wanted("juggling").expect("a body")).await;
    assert_eq!(
        (status, says.as_str()),
        (StatusCode::UNPROCESSABLE_ENTITY, "There is no such skill. Choose one from the list.")
    );
}

#[tokio::test]
async fn a_lesson_is_found_copied_put_away_and_brought_back() {
    let teacher = teacher().await;
    let made = teacher.ask("POST", "/api/lessons/offer", wanted("ratio.share")).await;
    let id = made["id"].as_u64().expect("an id");
    teacher.lesson("Brackets", 7).await;
    let titles = |path: &'static str| {
        let teacher = &teacher;
        async move {
            let shelf = teacher.list(path).await;
            let all = shelf.as_array().expect("a list").clone();
            all.iter()
                .map(|one| one["title"].as_str().expect("a title").to_owned())
                .collect::<Vec<_>>()
        }
    };
    assert_eq!(titles("/api/lessons?words=exit%20ticket").await.len(), 1, "found by a slide");
    assert_eq!(titles("/api/lessons?words=BRACK").await, ["Brackets"]);
    assert!(titles("/api/lessons?words=zebra").await.is_empty());

    let copy = teacher.ask("POST", &format!("/api/lessons/{id}/copy"), None).await;
    let copy = copy["id"].as_u64().expect("an id");
    let opened = teacher.ask("GET", &format!("/api/lessons/{copy}"), None).await;
    assert!(opened["lesson"]["title"].as_str().expect("a title").ends_with("(copy)"));
    let hung = teacher.ask("GET", &format!("/api/lessons/{copy}/ladders"), None).await;
    assert!(opened["lesson"].to_string().contains(&format!("\"ladder\":{}", hung[0]["id"])));

    let put = |id: u64, place: &'static str| {
        let body = Some(json!({"place": place}));
        let teacher = &teacher;
        async move { teacher.ask("PUT", &format!("/api/lessons/{id}/place"), body).await }
    };
    put(copy, "bin").await;
    assert_eq!(titles("/api/lessons").await.len(), 2);
    assert_eq!(titles("/api/lessons?place=bin").await.len(), 1);
    put(copy, "shelf").await;
    assert_eq!(titles("/api/lessons").await.len(), 3);
}

#[tokio::test]
async fn a_lesson_goes_back_to_what_it_was() {
    let teacher = teacher().await;
    let id = teacher.lesson("Equations", 7).await;
    let path = format!("/api/lessons/{id}");
    let first = teacher.ask("GET", &path, None).await["lesson"].clone();
    let mut changed = first.clone();
    changed["title"] = json!("Equations in balance");
    teacher.ask("PUT", &path, Some(json!({"based_on": 1, "lesson": changed}))).await;
    let versions = teacher.ask("GET", &format!("{path}/versions"), None).await;
    let seen: Vec<_> =
        versions.as_array().expect("a list").iter().map(|v| &v["revision"]).collect();
    assert_eq!(seen, [&json!(2), &json!(1)]);
    assert_eq!(versions[0]["teacher"], "Orla Fenwick");
    let looked = teacher.ask("GET", &format!("{path}/versions/1"), None).await;
    assert_eq!(looked["lesson"], first);
    let (status, _) =
        teacher.refused("POST", &format!("{path}/versions/1"), json!({"based_on": 1})).await;
    assert_eq!(status, StatusCode::CONFLICT, "somebody saved in between");
    let back =
        teacher.ask("POST", &format!("{path}/versions/1"), Some(json!({"based_on": 2}))).await;
    assert_eq!((&back["lesson"], &back["revision"]), (&first, &json!(3)));
}

#[tokio::test]
async fn phases_are_mended_and_problems_are_drawn_for_a_slide() {
    let teacher = teacher().await;
    let phase = |kind: &str, minutes: u16| json!({"kind": kind, "minutes": minutes});
    let timed = json!({"minutes": 45, "phases": [phase("starter", 5), phase("teach", 45)]});
    let mends = teacher.ask("POST", "/api/lessons/mends", Some(timed)).await;
    assert_eq!(mends[0]["says"], "Take 5 minutes from teaching");
    assert_eq!(mends[0]["minutes"], json!([5, 40]));

    let order =
        json!({"kind": "drawn", "skill": "ratio.missing-term", "stage": "climb", "seed": 4});
    let made = teacher.ask("POST", "/api/lessons/practice", Some(order)).await;
    assert_eq!(made["block"]["kind"], "practice");
    assert!(made["pictures"][0]["scene"]["describes"].is_string(), "a story has its table");
    let typed = json!({"kind": "typed", "problem": "3x + = 14"});
    let (status, says) = teacher.refused("POST", "/api/lessons/practice", typed).await;
    assert_eq!(status, StatusCode::UNPROCESSABLE_ENTITY);
    assert!(!says.is_empty());

    // An answer that was changed on its way is worked out again before it is kept.
    let id = teacher.lesson("Equations", 7).await;
    let path = format!("/api/lessons/{id}");
    let mut lesson = teacher.ask("GET", &path, None).await["lesson"].clone();
    let mut forged = made["block"].clone();
    forged["rung"]["answer"]["text"] = json!("n = 1");
    lesson["slides"][0]["blocks"] = json!([forged]);
    let saved = teacher.ask("PUT", &path, Some(json!({"based_on": 1, "lesson": lesson}))).await;
    assert_eq!(saved["lesson"]["slides"][0]["blocks"][0], made["block"]);
}

/// A picture is drawn from what is typed for it, and what cannot be drawn says what to type.
#[tokio::test]
async fn a_picture_is_chosen_by_hand() {
    let teacher = teacher().await;
    let cards = teacher.ask("GET", "/api/pictures", None).await;
    assert!(cards.as_array().expect("cards").len() >= 12);
    for card in cards.as_array().expect("cards") {
        let values: Vec<&Value> = card["fields"]
            .as_array()
            .expect("fields")
            .iter()
            .map(|field| &field["begins"])
            .collect();
        let order = json!({"kind": card["kind"], "values": values});
        let drawn = teacher.ask("POST", "/api/pictures", Some(order)).await;
        assert!(!drawn["scene"]["describes"].as_str().expect("words").is_empty(), "{card}");
    }
    let bad = json!({"kind": "triangle", "values": ["1", "2", "9"]});
    let (status, says) = teacher.refused("POST", "/api/pictures", bad).await;
    assert_eq!(status, StatusCode::UNPROCESSABLE_ENTITY);
    assert!(says.starts_with("These three sides make no triangle"), "{says}");
}

/// An image is kept as it was made safe, and seen by nobody else.
#[tokio::test]
async fn an_image_is_kept_for_its_owner() {
    let teacher = teacher().await;
    let svg = b"<svg xmlns='http://www.w3.org/2000/svg'><script>1</script><rect width='2'/></svg>";
    let (status, made) = teacher.put_in("/api/images", svg).await;
    assert_eq!(status, StatusCode::OK);
    let id = serde_json::from_slice::<Value>(&made).expect("JSON")["id"].clone();
    let (_, kept, _) = teacher.raw("GET", &format!("/api/images/{id}"), None).await;
    let kept = String::from_utf8(kept).expect("text");
    assert!(kept.contains("<rect") && !kept.contains("script"), "{kept}");
    let (status, says) = teacher.put_in("/api/images", b"no image").await;
    assert_eq!(status, StatusCode::UNPROCESSABLE_ENTITY, "{}", String::from_utf8_lossy(&says));
    let stranger = crate::common::teacher().await;
    let (status, ..) = stranger.raw("GET", &format!("/api/images/{id}"), None).await;
    assert_eq!(status, StatusCode::NOT_FOUND);
}

/// A lesson goes out as a file and comes back in; a text becomes a lesson; what is neither says so.
#[tokio::test]
async fn a_lesson_is_taken_in_from_a_file() {
    let teacher = teacher().await;
    let id = teacher.ask("POST", "/api/lessons/offer", wanted("percent.part")).await["id"].clone();
    // Its first slide gets an image.
    let dot = b"<svg xmlns='http://www.w3.org/2000/svg' width='9' height='9'><circle cx='4' cy='4' r='3'/></svg>";
    let (_, made) = teacher.put_in("/api/images", dot).await;
    let image: Value = serde_json::from_slice(&made).expect("an id");
    let path = format!("/api/lessons/{id}");
    let view = teacher.ask("GET", &path, None).await;
    let mut lesson = view["lesson"].clone();
    let block = json!({"kind": "image", "image": image["id"], "alt": "A dot", "caption": ""});
    lesson["slides"][0]["blocks"].as_array_mut().expect("blocks").push(block);
    let kept = json!({"based_on": view["revision"], "lesson": lesson});
    teacher.ask("PUT", &path, Some(kept)).await;

    let saved = teacher.ask("GET", &format!("{path}/file"), None).await;
    let file = |text: String| json!({"text": text, "grade": 7, "strand": "number", "minutes": 45});
    // Another teacher takes in all of it: the image is theirs then, and so is the ladder.
    let other = crate::common::teacher().await;
    let taken =
        other.ask("POST", "/api/lessons/file", Some(file(saved.to_string()))).await["id"].clone();
    let taken = other.ask("GET", &format!("/api/lessons/{taken}"), None).await["lesson"].clone();
    assert_eq!(taken["title"], lesson["title"]);
    let count = |lesson: &Value| lesson["slides"].as_array().map(Vec::len);
    assert_eq!(count(&taken), count(&lesson));
    let blocks = taken["slides"][0]["blocks"].as_array().expect("blocks");
    let image = blocks.last().expect("the image")["image"].clone();
    let (status, ..) = other.raw("GET", &format!("/api/images/{image}"), None).await;
    assert_eq!(status, StatusCode::OK);
    let ladders = other.list("/api/ladders").await;
    assert_eq!(ladders.as_array().map(Vec::len), Some(1));
    assert!(taken.to_string().contains(&format!("\"ladder\":{}", ladders[0]["id"])));
    // Alone, it leaves both behind.
    let alone =
        other.ask("POST", "/api/lessons/file", Some(file(lesson.to_string()))).await["id"].clone();
    let alone = other.ask("GET", &format!("/api/lessons/{alone}"), None).await["lesson"].clone();
    assert!(!alone.to_string().contains("\"kind\":\"ladder\""));
    assert!(!alone.to_string().contains("\"kind\":\"image\""));
    let text = "# Halves\n\n## Starter\n\nWhat is half of 60?\n\nAnswer: 30\n".to_owned();
    let made = teacher.ask("POST", "/api/lessons/file", Some(file(text))).await["id"].clone();
    let made = teacher.ask("GET", &format!("/api/lessons/{made}"), None).await["lesson"].clone();
    assert_eq!(
        (&made["title"], &made["slides"][0]["blocks"][0]["asks"]["answer"]),
        (&json!("Halves"), &json!("30"))
    );
    for bad in ["{\"title\": 3}", "   "] {
        let (status, says) = teacher.refused("POST", "/api/lessons/file", file(bad.into())).await;
        assert_eq!(status, StatusCode::UNPROCESSABLE_ENTITY);
        assert!(!says.is_empty());
    }
}

/// A slide that is sent stands at the end of its phase there, with a number of its own.
#[tokio::test]
async fn a_slide_is_sent_to_another_lesson() {
    let teacher = teacher().await;
    let (from, to) = (teacher.lesson("Here", 7).await, teacher.lesson("There", 7).await);
    let slide = teacher.ask("GET", &format!("/api/lessons/{from}"), None).await["lesson"]["slides"]
        [0]
    .clone();
    let path = format!("/api/lessons/{to}/slides");
    teacher.ask("POST", &path, Some(json!({"slide": slide}))).await;
    let there = teacher.ask("GET", &format!("/api/lessons/{to}"), None).await;
    let titles: Vec<&str> = there["lesson"]["slides"]
        .as_array()
        .expect("slides")
        .iter()
        .map(|slide| slide["title"].as_str().expect("a title"))
        .collect();
    assert_eq!((titles, &there["lesson"]["slides"][1]["id"]), (vec!["There", "Here"], &json!(2)));
    let (status, _) =
        teacher.refused("POST", "/api/lessons/999/slides", json!({"slide": slide})).await;
    assert_eq!(status, StatusCode::NOT_FOUND);
}

/// A spare board, a text and a ladder are looked at as everything else is.
#[tokio::test]
async fn boards_texts_and_ladders_are_judged() {
    let teacher = teacher().await;
    let lines = json!({"lines": [{"text": "3x + 5 = 20"}, {"text": "3x = 25"}]});
    let judged = teacher.ask("POST", "/api/board", Some(lines)).await;
    assert_eq!(judged["lines"][1]["verdict"]["word"], "breaks");
    let found = teacher
        .ask(
            "POST",
            "/api/second-look/text",
            Some(json!({"text": "Fine: 6 × 7 = 42.\n\nBut 6 × 8 = 49."})),
        )
        .await;
    assert_eq!(
        (&found[0]["kind"], &found[0]["place"]["line"]),
        (&json!("false-equality"), &json!(3))
    );
    teacher.ask("POST", "/api/lessons/offer", wanted("percent.part")).await;
    let ladders = teacher.list("/api/ladders").await;
    assert_eq!(ladders.as_array().map(Vec::len), Some(1));
    let path = format!("/api/ladders/{}/second-look", ladders[0]["id"]);
    assert_eq!(teacher.ask("GET", &path, None).await, json!([]));
    let long = json!({"text": "x".repeat(200_001)});
    let (status, _) = teacher.refused("POST", "/api/second-look/text", long).await;
    assert_eq!(status, StatusCode::UNPROCESSABLE_ENTITY);
}
