//! The working bench, as a teacher makes an example on it: worked, changed, checked, given blanks and a slip, varied, and
//! put on a slide, where the class sees it step by step.

use browser_tests::{Browser, Program, lesson_of};
use serde_json::Value;
use store::LessonId;

const LINES: &str = "[...document.querySelectorAll('.lines .face .math > .math-line')].map((line) => line.querySelector('annotation').textContent)";
const VERDICTS: &str =
    "[...document.querySelectorAll('.lines .face .verdict')].map((v) => v.textContent.trim())";

async fn bench() -> (Program, Browser, LessonId) {
    let program = Program::start().await;
    let browser = Browser::open(1280, 943).await;
    browser.sign_in(&program.url).await;
    let (_, ladder) = program.demo_ladder().await;
    browser.go(&format!("{}/lessons/{}/working", program.url, lesson_of(&ladder))).await;
    browser.led_into_field().await;
    (program, browser, lesson_of(&ladder))
}

async fn begin(browser: &Browser, problem: &str) {
    browser.fill("Problem", problem).await;
    browser.press("Work it out").await;
    browser.see_text("On the wall").await;
}

async fn texts(browser: &Browser, expression: &str) -> Vec<String> {
    serde_json::from_value(browser.ask(expression).await).expect("texts")
}

async fn until_verdicts(browser: &Browser, expected: &str) {
    browser.until(&format!("{VERDICTS}.join() === '{expected}'")).await;
}

/// Opens a line, counted from 1.
async fn open(browser: &Browser, line: usize) {
    let face = format!("(//ol[contains(@class, 'lines')]/li)[{line}]/button");
    browser.click(&face).await;
}

/// Writes the opened line anew.
async fn write(browser: &Browser, line: usize, keys: &str) {
    browser.into_maths(&format!("The line: Line {line}")).await;
    browser.select_all().await;
    browser.keys(keys).await;
    browser.keys("\u{e007}").await; // enter
}

#[tokio::test]
async fn words_are_understood_before_they_are_worked() {
    let (_program, browser, _) = bench().await;
    browser.fill("Problem", "Share £60 in the ratio 2:3").await;
    browser.see_text("£60 shared in the ratio 2 : 3.").await;
    browser.fill("Problem", "the hypotenuse of a purple triangle").await;
    browser.see_text("Skills that are near").await;
    browser
        .fill("Problem", "A triangle has a base of 6 cm and a height of 4 cm. Find its area.")
        .await;
    browser.see_text("The area of a triangle with base 6 cm and height 4 cm.").await;
    browser.press("Work it out").await;
    browser.see_text("The area is 12 cm²").await;
    until_verdicts(&browser, "given,given,holds,given").await;
    browser.close().await;
}

#[tokio::test]
async fn an_example_is_worked_changed_and_checked_line_by_line() {
    let (_program, browser, _) = bench().await;

    // What cannot be read says where it breaks, and nothing else happens.
    browser.fill("Problem", "3(2x - 5 = 27").await;
    browser.press("Work it out").await;
    browser.see_text("This “(” is never closed.").await;
    begin(&browser, "3(2x - 5) = 27").await;
    until_verdicts(&browser, "given,holds,holds,holds").await;
    assert!(texts(&browser, LINES).await[3].ends_with("x = 7"));

    // More and less of it is written down.
    browser.click_text("Every step").await;
    browser.until(&format!("{LINES}.length === 6")).await;
    assert!(texts(&browser, LINES).await[2].ends_with("6x - 15 + 15 = 27 + 15"));
    browser.click_text("Brisk").await;
    browser.see_text("in one go with the next line").await;
    browser.until("document.querySelectorAll('.board .working > li').length === 3").await;
    browser.click_text("Line by line").await;
    browser.until("document.querySelectorAll('.board .working > li').length === 4").await;

    // A line of one's own is checked as a student's: a right one, then a wrong one with the slip named.
    open(&browser, 2).await;
    write(&browser, 2, "2x-5=9").await;
    browser.see_text("Back to the computed line").await;
    until_verdicts(&browser, "given,holds,holds,holds").await;
    assert!(
        texts(&browser, LINES).await[1].ends_with("2x-5=9")
            || texts(&browser, LINES).await[1].ends_with("2x - 5 = 9")
    );
    write(&browser, 2, "6x-5=27").await;
    browser.see_text("Multiplied only the first term in the bracket.").await;
    browser.until(&format!("{VERDICTS}[1] === 'breaks'")).await;
    browser.see_text("lines hold").await;

    // One's own line is never written over.
    browser.press("Other numbers").await;
    browser.see_text("Lines of your own stand in this working.").await;
    browser.press("Back to the computed line").await;
    until_verdicts(&browser, "given,holds,holds,holds").await;
    browser.press("Undo").await;
    browser.until(&format!("{VERDICTS}[1] === 'breaks'")).await;
    browser.press("Redo").await;
    until_verdicts(&browser, "given,holds,holds,holds").await;
    browser.close().await;
}

#[tokio::test]
async fn blanks_are_filled_in_on_the_wall_one_step_later() {
    let (program, browser, lesson) = bench().await;
    begin(&browser, "3(2x - 5) = 27").await;
    open(&browser, 2).await;
    browser.press("15").await;
    browser.until("document.querySelectorAll('.lines .fbox').length === 1").await;

    // Numbers vary; what is left out stays left out.
    browser.press("Other numbers").await;
    browser.until(&format!("!{LINES}[0].includes('= 27')")).await;
    assert_eq!(browser.count(".lines .fbox").await, 1);
    let problem = texts(&browser, LINES).await[0].clone();
    // It is kept on this device until it stands on a slide.
    browser.go(&format!("{}/lessons/{lesson}/working", program.url)).await;
    browser.until(&format!("{LINES}[0] === {}", serde_json::json!(problem))).await;

    browser.press("Put it on a slide").await;
    browser.see("//h2[normalize-space(.) = 'Try together']").await;
    let db = &program.scratch.db;
    let orla = store::teacher::by_sign_in(db, "orla").await.expect("there").id;
    let kept = store::lesson::find(db, orla, lesson).await.expect("kept").lesson;
    let at = kept.slides.iter().rposition(|slide| slide.title == "Try together").expect("there");
    browser.go(&format!("{}/lessons/{lesson}/show?slide={}", program.url, at + 1)).await;
    let shown = "[...document.querySelectorAll('.working > li')]\
                 .filter((li) => getComputedStyle(li).visibility === 'visible').length";
    browser.until(&format!("{shown} === 1")).await;
    browser.keys(" ").await;
    browser
        .until(&format!("{shown} === 2 && document.querySelectorAll('.fbox').length === 1"))
        .await;
    browser.keys(" ").await;
    browser
        .until(&format!("{shown} === 2 && document.querySelectorAll('.fbox').length === 0"))
        .await;
    browser.keys("\u{e012}").await; // arrow left
    browser.until("document.querySelectorAll('.fbox').length === 1").await;
    browser.close().await;
}

#[tokio::test]
async fn a_slip_is_put_in_and_told_at_the_end() {
    let (_program, browser, _) = bench().await;
    begin(&browser, "n/6 = 10/15").await;
    browser.press("Put a slip in").await;
    browser
        .press(
            "Put it in: Multiplied top by top and bottom by bottom instead of cross-multiplying.",
        )
        .await;
    browser.until(&format!("{VERDICTS}.filter((v) => v === 'breaks').length === 1")).await;
    let told = "document.querySelector('.board .slip') !== null";
    browser.until(told).await;
    browser.press("From the start").await;
    browser.until(&format!("!({told})")).await;
    // The class sees no verdict before the end.
    assert_eq!(browser.count(".board .verdict").await, 0);
    browser.press("Take the slip out").await;
    until_verdicts(&browser, "given,holds,holds,holds").await;

    // By another method the working is another one, with the same answer.
    let before = texts(&browser, LINES).await;
    browser.click("//*[contains(@class, 'choices')]//*[contains(@class, 'el-select')]").await;
    browser.click_text("Unit rate").await;
    browser.until(&format!("{LINES}.join() !== {}", serde_json::json!(before.join(",")))).await;
    let after = texts(&browser, LINES).await;
    assert_eq!(before.last(), after.last());
    browser.close().await;
}

#[tokio::test]
async fn a_drawn_problem_comes_with_its_picture_and_its_words() {
    let (program, browser, lesson) = bench().await;
    browser.click("//input[@aria-label = 'Find a skill']").await;
    browser.keys("Pythag").await;
    browser.click_text("The theorem of Pythagoras").await;
    browser.click_text("Climb").await;
    browser.press("Draw a problem").await;
    browser.see("//*[contains(@class, 'board')]//figure").await;
    let prompt = "document.querySelector('.board .prompt').textContent";
    let asked: String = match browser.ask(prompt).await {
        Value::String(text) => text,
        other => panic!("{other}"),
    };
    assert!(asked.contains('?'), "{asked}");
    browser.press("Put it on a slide").await;
    browser.see("//h2[normalize-space(.) = 'Worked example']").await;
    browser.until("document.querySelectorAll('.face figure').length === 1").await;
    let db = &program.scratch.db;
    let orla = store::teacher::by_sign_in(db, "orla").await.expect("there").id;
    let kept = store::lesson::find(db, orla, lesson).await.expect("kept").lesson;
    assert_eq!(kept.figures().count(), 1);
    browser.close().await;
}
