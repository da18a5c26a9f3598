//! A lesson from its plan to the wall: offered as a whole, planned, written on, undone, shown, and gone back to.

use browser_tests::{Browser, Program};

const TITLES: &str =
    "[...document.querySelectorAll('.picture h2')].map((h) => h.textContent.trim()).join(' | ')";

async fn saved(browser: &Browser) {
    browser.see("//*[@role = 'status'][normalize-space(.) = 'Saved']").await;
}

/// Opens the list of a select by its label and takes an entry.
async fn choose(browser: &Browser, label: &str, entry: &str) {
    let select =
        format!("//*[@aria-label = '{label}']/ancestor::*[contains(@class, 'el-select__wrapper')]");
    browser.click(&select).await;
    browser.take(entry).await;
}

/// A whole lesson about parts by percent, just made.
async fn offered() -> (Program, Browser) {
    let program = Program::start().await;
    let browser = Browser::open(1280, 943).await;
    browser.sign_in(&program.url).await;
    browser.press("New lesson").await;
    browser.see_text("From starter to exit ticket").await;
    choose(&browser, "Grade", "Grade 7").await;
    choose(&browser, "What is taught", "Percent of an amount").await;
    browser.press("Make the lesson").await;
    browser.see("//h1[normalize-space(.) = 'Percent of an amount']").await;
    browser.until("document.querySelectorAll('.picture h2').length >= 10").await;
    (program, browser)
}

#[tokio::test]
async fn a_whole_lesson_is_planned_written_on_undone_and_kept() {
    let (_program, browser) = offered().await;
    let before = browser.ask(TITLES).await.as_str().expect("titles").to_owned();
    assert!(before.starts_with("Do you remember?") && before.ends_with("Exit ticket"), "{before}");
    // Every line on every slide is proved.
    assert_eq!(browser.ask(r"/\d+ of \d+ lines hold/.test(document.body.innerText)").await, false);

    // The plan is the same lesson from its other side.
    browser.press("Plan").await;
    browser.see_text("The phases fill the 45 minutes.").await;
    let minutes = browser.see("//input[@aria-label = 'Starter: Minutes']").await;
    minutes.click().await.expect("there");
    browser.select_all().await;
    browser.keys("10\t").await;
    browser.see_text("The phases take 6 minutes more than the lesson has.").await;
    browser.press("Take 6 minutes from independent practice").await;
    browser.see_text("The phases fill the 45 minutes.").await;
    choose(&browser, "Look back: Move to another phase", "Guided practice").await;
    saved(&browser).await;

    // On the slides it stands in its new phase, and a question is written.
    browser.press("Slides").await;
    let moved = browser.ask(TITLES).await.as_str().expect("titles").to_owned();
    assert!(moved.contains("Are we there? | Look back | Climb the ladder"), "{moved}");
    browser.press("Work on it").await;
    browser.press("Add to this slide …").await;
    browser.take("Question").await;
    browser
        .see("//label[starts-with(normalize-space(.), 'Question (')]//textarea")
        .await
        .click()
        .await
        .expect("there");
    browser.keys("Is $7\\%$ of 50 more than 3?").await;
    browser.click("//label[starts-with(normalize-space(.), 'Answer')]//textarea").await;
    browser.keys("Yes: it is 3.5.").await;
    browser.see("//p[normalize-space(.) = 'Yes: it is 3.5.']").await;
    saved(&browser).await;
    browser.press("Done").await;

    // Shown with keys, step by step, from the first slide to the last.
    browser.press("Show on the wall").await;
    browser.see_text("Slide 1 of ").await;
    let last = browser.ask("document.querySelector('.wall footer button').innerText").await;
    let last = last.as_str().and_then(|text| text.rsplit(' ').next()).expect("a number").to_owned();
    let ended = "document.querySelector('.wall footer').innerText.includes('End of the lesson')";
    for _ in 0..200 {
        if browser.ask(ended).await == true {
            break;
        }
        browser.keys(" ").await;
    }
    browser.see_text(&format!("Slide {last} of {last}")).await;
    browser.keys("\u{e00c}").await; // escape
    browser.see("//h1[normalize-space(.) = 'Percent of an amount']").await;

    // Undone to the start of the sitting, and done again.
    let enabled = |name: &str| {
        format!(
            "![...document.querySelectorAll('button')].find((b) => b.innerText.trim() === '{name}').disabled"
        )
    };
    while browser.ask(&enabled("Undo")).await == true {
        browser.press("Undo").await;
    }
    browser.until(&format!("{TITLES} === {}", serde_json::json!(before))).await;
    assert!(!browser.text().await.contains("more than 3?"));
    while browser.ask(&enabled("Redo")).await == true {
        browser.press("Redo").await;
    }
    browser.until(&format!("{TITLES} === {}", serde_json::json!(moved))).await;
    browser.see_text("more than 3?").await;
    saved(&browser).await;
    browser.ask("location.reload()").await;
    browser.see_text("more than 3?").await;
    browser.until(&format!("{TITLES} === {}", serde_json::json!(moved))).await;

    // What it was when it was made can be looked at and gone back to.
    browser.press("History").await;
    browser.until("document.querySelectorAll('.versions li').length >= 2").await;
    browser.ask("void [...document.querySelectorAll('.versions li')].at(-1).querySelector('button').click()").await;
    browser.press("Go back to this one").await;
    browser.until(&format!("{TITLES} === {}", serde_json::json!(before))).await;
    browser.until("!document.querySelector('.picture')?.innerText.includes('more than 3?')").await;
    browser.close().await;
}

#[tokio::test]
async fn answers_come_one_step_later_on_the_wall() {
    let (_program, browser) = offered().await;
    browser.press("Show on the wall").await;
    browser.see_text("Slide 1 of ").await;
    let answers = "[...document.querySelectorAll('.block-answer')]\
                   .filter((a) => getComputedStyle(a).visibility === 'visible').length";
    for shown in [0, 1, 2] {
        browser.until(&format!("{answers} === {shown}")).await;
        browser.keys(" ").await;
    }
    browser.see_text("Slide 2 of ").await;
    browser.keys("\u{e012}").await; // arrow left
    browser.until(&format!("{answers} === 2")).await;
    // A step that was given to a block makes it wait.
    browser.keys("\u{e00c}").await; // escape
    browser.see("//h1").await;
    browser.press("Work on it").await;
    choose(&browser, "Comes", "in step 1").await;
    saved(&browser).await;
    browser.press("Show on the wall").await;
    let prompts = "[...document.querySelectorAll('.practice .block-text')]\
                   .filter((a) => getComputedStyle(a).visibility === 'visible').length";
    browser.until(&format!("{prompts} === 1")).await;
    browser.keys("\u{e014}").await;
    browser.until(&format!("{prompts} === 1 && {answers} === 1")).await;
    browser.keys("\u{e014}").await;
    browser.until(&format!("{prompts} === 2 && {answers} === 1")).await;
    browser.close().await;
}
