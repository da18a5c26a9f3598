//! Second Look in the browser: what is wrong is found as it is written, mended in one tap, undone, or left with a reason.

use browser_tests::{Browser, Program};

async fn count(browser: &Browser, findings: u64) {
    browser
        .until(&format!(
            "document.querySelectorAll('.look > .findings > li').length === {findings}"
        ))
        .await;
}

#[tokio::test]
async fn a_seeded_fault_is_found_mended_and_another_one_left() {
    let program = Program::start().await;
    let browser = Browser::open(1280, 943).await;
    browser.sign_in(&program.url).await;
    browser.click_text("Equivalent fractions").await;
    browser.see("//h1[normalize-space(.) = 'Equivalent fractions']").await;
    browser.press("Second Look").await;
    browser.see_text("Nothing to mend. The class may come.").await;

    // Two faults are written on a slide.
    browser.press("Slides").await;
    browser.press("Work on it").await;
    browser.press("Add to this slide …").await;
    browser.take("Text").await;
    browser
        .see("//label[starts-with(normalize-space(.), 'Text (')]//textarea")
        .await
        .click()
        .await
        .expect("there");
    browser.keys("Remember: 6 × 7 = 41. Go on: 3, 7, 11, 16, 19, 23, …").await;
    browser.until("document.querySelector('.count')?.innerText === '2'").await;
    browser.click("//button[starts-with(normalize-space(.), 'Second Look')]").await;
    count(&browser, 2).await;
    browser.see_text("6 × 7 is 42, not 41.").await;
    browser.see_text("By the rule of the others, 16 should be 15.").await;

    // One is mended, the other left with a reason; both are kept.
    browser.press("Put 6 × 7 = 42").await;
    count(&browser, 1).await;
    browser.press("Leave it so …").await;
    browser.click("//input[@aria-label = 'Why it is right as it is']").await;
    browser.keys("The class is to find it.").await;
    browser.press("Leave it").await;
    browser.see_text("Nothing to mend. The class may come.").await;
    browser.see("//*[@role = 'status'][normalize-space(.) = 'Saved']").await;
    browser.ask("location.reload()").await;
    browser.see_text("Nothing to mend. The class may come.").await;
    browser.see_text("Left as they are (1)").await;
    browser.press("Slides").await;
    browser.see_text("Remember: 6 × 7 = 42.").await;
    browser.close().await;
}
