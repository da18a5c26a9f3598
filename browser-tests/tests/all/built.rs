//! A lesson built from nothing, as a teacher does who has an hour: planned, a slide for every phase, taught with keys,
//! undone to the start of the sitting, done again, and there after a reload.

use browser_tests::{Browser, Program};

const TITLES: &str =
    "[...document.querySelectorAll('.picture h2')].map((h) => h.innerText.trim()).join(' | ')";
/// Where the next key goes.
const FOCUSED: &str = "document.activeElement.closest('[class*=el-input], [class*=el-textarea]')?.parentElement?.innerText?.trim() ?? document.activeElement.tagName";

async fn saved(browser: &Browser) {
    browser.see("//*[@role = 'status'][normalize-space(.) = 'Saved']").await;
}

/// Adds the first slide of a phase, and types its heading over the one it came with.
async fn slide(browser: &Browser, phase: &str, heading: &str) {
    browser.press(&format!("Add a slide: {phase}")).await;
    browser.until("document.activeElement.value === 'New slide'").await;
    browser.keys(heading).await;
    browser.see(&format!("//h2[normalize-space(.) = '{heading}']")).await;
}

/// Adds a part to the slide that is open; what is typed next goes into it.
async fn part(browser: &Browser, kind: &str) {
    browser.press("Add to this slide …").await;
    browser.take(kind).await;
    browser.at_rest().await;
    browser.until("['TEXTAREA', 'INPUT'].includes(document.activeElement.tagName)").await;
    assert_ne!(browser.ask(FOCUSED).await, "BODY");
}

#[tokio::test]
async fn a_lesson_is_built_from_nothing_taught_undone_and_kept() {
    let program = Program::start().await;
    let browser = Browser::open(1280, 943).await;
    browser.sign_in(&program.url).await;
    browser.press("New lesson").await;
    browser.click_text("An empty one").await;
    browser.fill("Topic", "Areas with a side unknown").await;
    browser.press("Make the lesson").await;
    browser.see("//h1[normalize-space(.) = 'Areas with a side unknown']").await;
    let before = browser.ask(TITLES).await;
    assert_eq!(before, "Areas with a side unknown");

    // The plan: what it is for, and what shows that it is reached.
    browser.press("Plan").await;
    browser.click("//fieldset[legend = 'Objectives']//button[contains(., 'Add')]").await;
    browser.keys("Find a side from an area\u{e007}Say what the letter stands for").await;
    browser.press("Slides").await;
    browser.see_text("Say what the letter stands for").await;

    // Every phase of the plan has its place, with or without a slide; what is new is written on at once.
    slide(&browser, "Teach", "A side from an area").await;
    part(&browser, "Text").await;
    browser.keys("A bed $4$ m wide and $x + 3$ m long has an area of $4(x + 3)$ m².").await;
    // The example goes onto the slide that it was asked for.
    browser.press("Add to this slide …").await;
    browser.take("Worked example").await;
    browser.led_into_field().await;
    browser.keys("4(x+3)=52\u{e007}").await;
    browser.see_text("Divide both sides by").await;
    browser.press("Put it on a slide").await;
    browser.see("//h2[normalize-space(.) = 'A side from an area']").await;
    browser.until("document.querySelectorAll('.row')[1]?.innerText.includes('3 lines hold')").await;

    slide(&browser, "Guided practice", "Try it together").await;
    part(&browser, "Problem").await;
    browser.keys("5(x+2)=45\u{e007}").await;
    browser.see_text("Answer: x = 7").await;
    slide(&browser, "Independent practice", "On your own").await;
    part(&browser, "Question").await;
    browser.keys("A pen is 6 m wide and has an area of 54 m². How long is it?").await;
    browser
        .click("//label[starts-with(normalize-space(.), 'Answer')]//textarea[not(@readonly)]")
        .await;
    browser.keys("9 m").await;
    slide(&browser, "Review", "A look back").await;
    part(&browser, "Talk prompt").await;
    browser.keys("What did the letter stand for?").await;
    saved(&browser).await;
    let built = "Areas with a side unknown | A side from an area | Try it together | On your own | A look back";
    assert_eq!(browser.ask(TITLES).await, built);
    assert_eq!(browser.count(".to-come").await, 0);

    // One more below another, and away again.
    browser.press("More: On your own").await;
    browser.click("//*[@role = 'menuitem'][normalize-space(.) = 'Add a slide below']").await;
    browser.until("document.activeElement.value === 'New slide'").await;
    browser.press("More: New slide").await;
    browser.click("//*[@role = 'menuitem'][normalize-space(.) = 'Take out']").await;
    browser.until(&format!("{TITLES} === {}", serde_json::json!(built))).await;

    // Taught with keys: the lines of the example come one by one.
    browser.press("Show on the wall").await;
    browser.see_text("Slide 1 of 5").await;
    browser.keys("\u{e014}").await;
    let lines = "[...document.querySelectorAll('.working > li')]\
                 .filter((line) => getComputedStyle(line).visibility === 'visible').length";
    for shown in 1..=4 {
        browser.until(&format!("{lines} === {shown}")).await;
        browser.keys(" ").await;
    }
    let ended = "document.querySelector('.wall footer').innerText.includes('End of the lesson')";
    for _ in 0..30 {
        if browser.ask(ended).await == true {
            break;
        }
        browser.keys(" ").await;
    }
    browser.see_text("Slide 5 of 5").await;
    browser.keys("\u{e00c}").await;
    browser.see("//h1[normalize-space(.) = 'Areas with a side unknown']").await;

    // Undone to the start, and done again; a reload finds what stood last.
    let enabled = |name: &str| {
        format!(
            "![...document.querySelectorAll('button')].find((b) => b.innerText.trim() === '{name}').disabled"
        )
    };
    while browser.ask(&enabled("Undo")).await == true {
        browser.press("Undo").await;
    }
    browser.until(&format!("{TITLES} === {before}")).await;
    browser.until("document.querySelectorAll('.objectives li').length === 0").await;
    while browser.ask(&enabled("Redo")).await == true {
        browser.press("Redo").await;
    }
    browser.until(&format!("{TITLES} === {}", serde_json::json!(built))).await;
    saved(&browser).await;
    browser.ask("location.reload()").await;
    browser.until(&format!("{TITLES} === {}", serde_json::json!(built))).await;
    browser.see_text("What did the letter stand for?").await;
    browser.close().await;
}
