//! A lesson that is worked on: what is changed is saved by itself and is there again after a reload.

use browser_tests::{Browser, Program};

async fn lesson(program: &Program, title: &str) -> Browser {
    let browser = Browser::open(1280, 943).await;
    browser.go(&program.url).await;
    browser.fill("Sign-in name", "orla").await;
    browser.fill("Password", "clover-and-heather").await;
    browser.press("Sign in").await;
    browser.click_text(title).await;
    browser.see(&format!("//h1[normalize-space(.) = '{title}']")).await;
    browser
}

const TITLES: &str =
    "[...document.querySelectorAll('.picture h2')].map((h) => h.textContent.trim()).join(' | ')";

async fn saved(browser: &Browser) {
    browser.see("//*[@role = 'status'][normalize-space(.) = 'Saved']").await;
}

#[tokio::test]
async fn slides_are_moved_added_taken_out_and_kept() {
    let program = Program::start().await;
    let browser = lesson(&program, "Equations in balance").await;
    let before = browser.ask(TITLES).await;
    let before = before.as_str().expect("titles").to_owned();
    let titles: Vec<&str> = before.split(" | ").collect();
    assert_eq!(titles.len(), 5);

    browser.press("Move down").await;
    let moved = format!("{} | {} | {}", titles[1], titles[0], titles[2..].join(" | "));
    browser.until(&format!("{TITLES} === {}", serde_json::json!(moved))).await;
    browser.see_text("Not saved yet").await;
    // What was proved goes along with its slide at once, before anything is saved.
    let beside = "[...document.querySelectorAll('.rail.checked:not(:empty)')].slice(0, 2).map((r) => r.innerText.trim()).join(' | ')";
    assert_eq!(browser.ask(beside).await, "holds\n2 lines hold | Nothing to check");
    saved(&browser).await;

    // A phase without slides has a button of its own; the last one adds at the end.
    let add = "(//button[normalize-space(.) = 'Add a slide'])[last()]";
    browser.click(add).await;
    browser.see("//h2[normalize-space(.) = 'New slide']").await;
    let heading = browser.see("//label[starts-with(normalize-space(.), 'Heading')]//input").await;
    heading.click().await.expect("there");
    browser.select_all().await;
    browser.keys("A look back").await;
    browser.press("Add to this slide …").await;
    browser.take("Text").await;
    browser.click("//label[starts-with(normalize-space(.), 'Text')]//textarea").await;
    browser.keys("Why is $3x = 12$ the same as $x = 4$?").await;
    browser.until("[...document.querySelectorAll('.picture .katex')].some((k) => k.innerText.includes('12'))").await;
    saved(&browser).await;
    // Its five minutes are over the plan's length; the clock says so.
    browser.ask("location.reload()").await;
    browser.see("//h2[normalize-space(.) = 'A look back']").await;
    let after = browser.ask(TITLES).await;
    assert_eq!(after, format!("{moved} | A look back"));

    browser.click("(//button[starts-with(@aria-label, 'More: ')])[last()]").await;
    browser.click("//*[@role = 'menuitem'][normalize-space(.) = 'Take out']").await;
    browser.until(&format!("{TITLES} === {}", serde_json::json!(moved))).await;
    saved(&browser).await;
    browser.ask("location.reload()").await;
    browser.see("//h1[normalize-space(.) = 'Equations in balance']").await;
    browser.until(&format!("{TITLES} === {}", serde_json::json!(moved))).await;
    browser.close().await;
}

#[tokio::test]
async fn an_example_is_worked_by_the_method_of_the_class() {
    let program = Program::start().await;
    let browser = lesson(&program, "Scaling the autumn feed").await;
    browser.press("Add a worked example").await;
    browser.led_into_field().await;
    browser.keys("n/6=10/15").await;
    browser.keys("\u{e007}").await; // enter works it out
    browser.see_text("Cross-multiply: the two diagonal products are equal").await;
    browser
        .click(".//*[contains(@class, 'method')]//*[contains(@class, 'el-select__wrapper')]")
        .await;
    browser.take("Scale factor").await;
    browser.see_text("Find the scale factor from the pair that is known").await;
    browser.press("Put it on a slide").await;
    browser.see("//h2[normalize-space(.) = 'Worked example']").await;
    saved(&browser).await;
    browser.ask("location.reload()").await;
    browser.see("//h2[normalize-space(.) = 'Worked example']").await;
    browser.see_text("Find the scale factor from the pair that is known").await;
    browser.close().await;
}

#[tokio::test]
async fn somebody_elses_lesson_is_not_there() {
    let program = Program::start().await;
    let db = &program.scratch.db;
    let other = store::teacher::create(db, "other", "Somebody Else", "-").await.expect("kept");
    let theirs =
        lesson::Lesson::new("Secret", 6, teaching::skill::Strand::Number, 45).expect("fine");
    let id = store::lesson::create(db, other, theirs).await.expect("kept");
    let browser = lesson(&program, "Equations in balance").await;
    browser.go(&format!("{}/lessons/{id}", program.url)).await;
    browser.see_text("This is not here, or it is not yours.").await;
    assert!(!browser.text().await.contains("Secret"));
    browser.press("Sign out").await;
    browser.see_text("Good to see you").await;
    browser.go(&format!("{}/lessons/{id}", program.url)).await;
    browser.see_text("Good to see you").await;
    browser.close().await;
}

#[tokio::test]
async fn two_windows_of_one_student_are_told_of_each_other() {
    let program = Program::start().await;
    let (orla, ladder) = program.demo_ladder().await;
    let desk = format!("{}/desk/{}", program.url, ladder.link);
    let browser = Browser::open(900, 900).await;
    browser.go(&desk).await;
    browser.fill("First name", "Mateo").await;
    browser.press("Sit down").await;
    browser.into_maths("Line 1").await;
    browser.keys("n=1").await;
    saved(&browser).await;

    // The other window of the same student saves in between.
    let db = &program.scratch.db;
    let desks = store::desk::of_ladder(db, orla, ladder.id, None).await.expect("desks").entries;
    let mateo = desks.iter().find(|desk| desk.student == "Mateo").expect("there");
    let mut other = mateo.written[0].clone();
    other.lines[0].text = "n=2".into();
    store::desk::save(db, mateo.id, other.revision, &other).await.expect("saved");

    browser.keys("0").await;
    browser.see_text("This rung was changed in another window.").await;
    let stands = store::desk::find(db, ladder.id, mateo.id).await.expect("there");
    assert_eq!(stands.written[0].lines[0].text, "n=2", "nothing was overwritten");
    browser.press("Those of the other window").await;
    browser.until("document.querySelector('math-field').value === 'n=2'").await;
    saved(&browser).await;
    browser.close().await;
}

#[tokio::test]
async fn a_shared_laptop_changes_hands() {
    let program = Program::start().await;
    let (_, ladder) = program.demo_ladder().await;
    let browser = Browser::open(900, 900).await;
    browser.go(&format!("{}/desk/{}", program.url, ladder.link)).await;
    browser.fill("First name", "Mateo").await;
    browser.press("Sit down").await;
    browser.into_maths("Line 1").await;
    browser.keys("n=1").await;
    saved(&browser).await;
    browser.press("Not Mateo?").await;
    browser.see_text("What is your first name?").await;
    browser.fill("First name", "Priya").await;
    browser.press("Sit down").await;
    browser.see_text("Not Priya?").await;
    browser.until("document.querySelector('math-field').value === ''").await;
    // A line in words is kept with the working, and not judged.
    browser.into_maths("Line 1").await;
    browser.keys("First I scale both numbers.").await;
    browser.see_text("Words are kept with your working, but not checked.").await;
    saved(&browser).await;
    browser.close().await;
}
