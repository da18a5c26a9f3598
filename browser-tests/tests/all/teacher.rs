//! The teacher's path: sign in, a lesson, a worked example, the wall, a ladder, its PDFs, its link.

use browser_tests::{Browser, Program};
use store::LadderId;
use store::lesson::Place;

/// Only what matters for finding numbers and words: signs of a formula may stand on lines of their own.
fn squeezed(text: &str) -> String {
    text.split_whitespace().collect()
}

#[tokio::test]
async fn a_teacher_makes_a_lesson_and_a_ladder() {
    let program = Program::start().await;
    let browser = Browser::open(1280, 943).await;
    browser.go(&program.url).await;

    // Nobody gets in with a wrong password, and is told so.
    browser.fill("Sign-in name", "orla").await;
    browser.fill("Password", "clover").await;
    browser.press("Sign in").await;
    browser.see_text("This name and password do not go together").await;
    browser.fill("Password", "clover-and-heather").await;
    browser.press("Sign in").await;

    // The shelf, by grade and strand.
    browser.see_text("Your shelf").await;
    browser.see_text("Proportions with a missing term").await;
    browser.press("Algebra and functions").await;
    browser.until("!document.body.innerText.includes('Proportions with a missing term')").await;
    browser.see_text("Equations in balance").await;

    // A new lesson; without a topic it says what is missing.
    browser.press("New lesson").await;
    browser.click_text("An empty one").await;
    browser.press("Make the lesson").await;
    browser.see_text("Give the lesson a topic.").await;
    browser.fill("Topic", "Brackets on the market stall").await;
    browser.press("Make the lesson").await;
    browser.see("//h1[normalize-space(.) = 'Brackets on the market stall']").await;
    browser.see_text("The phases fill the lesson.").await;

    // A worked example from a typed problem; a wrong one first.
    browser.press("Add a worked example").await;
    browser.fill("Problem", "3(2x").await;
    browser.press("Work it out").await;
    browser.see_text("This “(” is never closed.").await;
    browser.fill("Problem", "3(2x - 5) = 27").await;
    browser.see_text("Linear equations").await;
    browser.press("Work it out").await;
    browser.see_text("Divide both sides by").await;
    let working =
        "[...document.querySelectorAll('.lines .verdict')].map((v) => v.innerText.trim()).join()";
    browser.until(&format!("{working}.startsWith('given,holds,holds')")).await;
    let told = browser.ask(working).await;
    assert!(!told.to_string().contains("breaks"), "{told}");
    browser.press("Put it on a slide").await;
    browser.see("//h2[normalize-space(.) = 'Worked example']").await;
    browser.see_text("lines hold").await;
    browser.see("//*[@role = 'status'][normalize-space(.) = 'Saved']").await;

    // On the wall its lines come one by one, with the keyboard.
    browser.press("Show on the wall").await;
    browser.see_text("Slide 1 of 2").await;
    browser.keys("\u{e014}").await; // arrow right
    browser.see_text("Slide 2 of 2").await;
    let shown = "[...document.querySelectorAll('.working > li')]\
                 .filter((li) => getComputedStyle(li).visibility === 'visible').length";
    let lines = browser.count(".working > li").await;
    assert!(lines >= 4);
    for line in 1..=lines {
        browser.until(&format!("{shown} === {line}")).await;
        browser.keys(" ").await;
    }
    browser.see_text("End of the lesson").await;
    browser.keys("\u{e012}").await; // arrow left
    browser.until(&format!("{shown} === {}", lines - 1)).await;
    browser.keys("\u{e00c}").await; // escape
    browser.see_text("Brackets on the market stall").await;

    // A ladder of nine rungs from two skills, with its key.
    browser.press("Make a ladder").await;
    browser.see_text("Choose at least one skill.").await;
    for skill in ["The missing term of a proportion", "Linear equations"] {
        browser.click_text(skill).await;
    }
    browser.until("document.querySelectorAll('.rungs .number').length === 9").await;
    browser.press("Hang it on the lesson").await;
    browser.see_text("What the class wrote").await;
    browser.until("document.querySelectorAll('.rungs .answer').length === 9").await;

    // What is printed is what is shown.
    let path = browser.ask("location.pathname").await;
    let id = path.as_str().and_then(|path| path.rsplit('/').next()).expect("an id").to_owned();
    let sheet = browser.words_of_pdf(&format!("/api/ladders/{id}/sheet.pdf")).await;
    let key = browser.words_of_pdf(&format!("/api/ladders/{id}/key.pdf?full=true")).await;
    for stage in ["Grip", "Tilt", "Climb"] {
        assert!(sheet.contains(stage) && key.contains(stage), "{sheet}\n{key}");
    }
    let kept = {
        let db = &program.scratch.db;
        let orla = store::teacher::by_sign_in(db, "orla").await.expect("there").id;
        store::ladder::find(db, orla, LadderId(id.parse().expect("a number")))
            .await
            .expect("kept")
            .ladder
    };
    for rung in &kept.rungs {
        for words in rung.prompt.split('$').step_by(2) {
            assert!(squeezed(&sheet).contains(&squeezed(words)), "{words}\n{sheet}");
        }
        let text = &rung.answer.text;
        let answer = match text.rsplit_once("= ") {
            Some((_, value)) if !rung.story => format!("={value}"),
            _ => text.clone(),
        };
        let plain = squeezed(&key).replace('−', "-");
        // A fraction is stacked in print, its denominator right after its numerator.
        let found = squeezed(&answer).replace('/', "");
        assert!(plain.contains(&found), "{answer}\n{key}");
    }
    assert!(!sheet.contains("Answer"), "{sheet}");

    // The link of its Step Desk opens it.
    browser.press("Copy the link").await;
    let link = browser.ask("document.querySelector('.link input').value").await;
    let link = link.as_str().expect("a link").to_owned();
    assert!(link.starts_with(&format!("{}/desk/", program.url)), "{link}");
    browser.go(&link).await;
    browser.see_text("What is your first name?").await;
    browser.close().await;
}

#[tokio::test]
async fn a_stale_save_is_told_and_overwrites_nothing() {
    let program = Program::start().await;
    let browser = Browser::open(1280, 943).await;
    browser.go(&program.url).await;
    browser.fill("Sign-in name", "orla").await;
    browser.fill("Password", "clover-and-heather").await;
    browser.press("Sign in").await;
    browser.click_text("Equations in balance").await;
    browser.see("//h1[normalize-space(.) = 'Equations in balance']").await;

    // Another window saves in the meantime.
    let db = &program.scratch.db;
    let orla = store::teacher::by_sign_in(db, "orla").await.expect("there").id;
    let shelf = store::lesson::shelf(db, orla, Place::Shelf, "", None).await.expect("a shelf");
    let on = shelf.entries.iter().find(|on| on.title == "Equations in balance").expect("there");
    let mut other = store::lesson::find(db, orla, on.id).await.expect("there");
    other.lesson.slides[0].title = "From the other window".into();
    store::lesson::save(db, orla, on.id, other.revision, &other.lesson).await.expect("saved");

    browser.press("Work on it").await;
    let heading = browser.see("//label[starts-with(normalize-space(.), 'Heading')]//input").await;
    heading.send_keys(" Mine").await.expect("typed");
    browser.see_text("This lesson was changed in another window in the meantime.").await;
    let stands = store::lesson::find(db, orla, on.id).await.expect("there").lesson;
    assert_eq!(stands.slides[0].title, "From the other window", "nothing was overwritten");
    browser.press("Take the other one").await;
    browser.see("//h2[normalize-space(.) = 'From the other window']").await;
    browser.close().await;
}
