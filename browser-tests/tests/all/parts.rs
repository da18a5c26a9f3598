//! The parts of a lesson: pictures chosen by hand, images from files, slides cut, joined and sent, themes and colours,
//! lessons from files, and everything found by typing.

use browser_tests::{Browser, Program};
use std::io::Write as _;

async fn saved(browser: &Browser) {
    browser.see("//*[@role = 'status'][normalize-space(.) = 'Saved']").await;
}

/// A lesson of the demo world, open in its editor at the first slide.
async fn opened(title: &str) -> (Program, Browser) {
    let program = Program::start().await;
    let browser = Browser::open(1280, 943).await;
    browser.sign_in(&program.url).await;
    browser.click_text(title).await;
    browser.see(&format!("//h1[normalize-space(.) = '{title}']")).await;
    browser.press("Work on it").await;
    browser.see_text("Notes for you alone").await;
    (program, browser)
}

/// A file with this content, to be chosen.
fn file(name: &str, content: &[u8]) -> String {
    let path = std::env::temp_dir().join(format!("{}-{name}", std::process::id()));
    std::fs::File::create(&path).and_then(|mut file| file.write_all(content)).expect("written");
    path.display().to_string()
}

#[tokio::test]
async fn a_picture_is_drawn_as_its_values_are_typed() {
    let (_program, browser) = opened("Equations in balance").await;
    browser.press("Add to this slide …").await;
    browser.take("Picture").await;
    browser.until("document.querySelectorAll('.chooser .label').length > 10").await;
    browser.fill("Points", "3, 70").await;
    browser.see_text("Type points between 0 and 10").await;
    browser.fill("Points", "3, 8").await;
    browser.until("document.querySelector('.chooser .scene')?.ariaLabel.includes('8')").await;
    browser.press("Put it on the slide").await;
    saved(&browser).await;
    browser
        .until("document.querySelectorAll('.picture .face .scene, .face .scene').length === 1")
        .await;
    browser.ask("location.reload()").await;
    browser.until("document.querySelectorAll('.face .scene').length === 1").await;
    browser.close().await;
}

#[tokio::test]
async fn an_image_is_made_safe_and_shown() {
    let (_program, browser) = opened("Equations in balance").await;
    browser.press("Add to this slide …").await;
    browser.take("Image").await;
    let svg = b"<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 9 6\"><script>window.broken = 1</script><rect width=\"9\" height=\"6\" onclick=\"broken = 1\"/></svg>";
    let input = browser.find("input[type='file']").await;
    input.send_keys(file("words.txt", b"no image")).await.expect("chosen");
    browser.see_text("Choose a PNG, a JPEG or an SVG file. This one cannot be read.").await;
    input.send_keys(file("hive.svg", svg)).await.expect("chosen");
    browser.until("document.querySelector('.face img')?.naturalWidth > 0").await;
    saved(&browser).await;
    let kept = browser
        .ask_later("fetch(document.querySelector('.face img').src).then((r) => r.text())")
        .await;
    let kept = kept.as_str().expect("text");
    assert!(
        kept.contains("<rect") && !kept.contains("script") && !kept.contains("onclick"),
        "{kept}"
    );
    // Nobody is left out: its words are asked for.
    browser.until("document.querySelector('.count')?.innerText === '1'").await;
    browser.fill("What it shows, for those who cannot see it", "A hive").await;
    browser.until("!document.querySelector('.count')").await;
    assert_eq!(browser.ask("document.querySelector('.face img').alt").await, "A hive");
    browser.close().await;
}

#[tokio::test]
async fn slides_are_cut_joined_and_sent() {
    let (_program, browser) = opened("Equivalent fractions").await;
    let count = "document.querySelectorAll('.picture h2').length";
    let before = browser.ask(count).await.as_u64().expect("a number");
    browser.click("//button[@aria-label = 'Split: begin a new slide here']").await;
    browser.until(&format!("{count} === {}", before + 1)).await;
    saved(&browser).await;
    browser.click("(//button[starts-with(@aria-label, 'More: ')])[1]").await;
    browser.take("Join with the next slide").await;
    browser.until(&format!("{count} === {before}")).await;
    browser.click("(//button[starts-with(@aria-label, 'More: ')])[1]").await;
    browser.take("Move to another lesson …").await;
    browser.click("//*[@aria-label = 'To which lesson']/ancestor::*[contains(@class, 'el-select__wrapper')]").await;
    browser.take("Equations in balance · Grade 7").await;
    browser.press("Send it").await;
    browser.see_text("It stands in “Equations in balance” now.").await;
    browser.press("Close").await;
    browser.until(&format!("{count} === {}", before - 1)).await;
    saved(&browser).await;
    // There, at the end of its phase.
    browser.with_control("k").await;
    browser.keys("Equations in balance").await;
    browser.see("//*[@role = 'option'][@aria-selected = 'true'][contains(., 'Lesson')]").await;
    browser.keys("\u{e007}").await;
    browser.see("//h1[normalize-space(.) = 'Equations in balance']").await;
    browser.until(&format!("{count} === 6")).await;
    browser.close().await;
}

#[tokio::test]
async fn a_theme_and_a_colour_with_a_meaning_go_everywhere() {
    let (_program, browser) = opened("Equations in balance").await;
    browser.press("Plan").await;
    browser.click_text("High contrast").await;
    browser.press("+ One more").await;
    browser.click("//input[@aria-label = 'Quantity 1']").await;
    browser.keys("n").await;
    saved(&browser).await;
    browser.press("Slides").await;
    browser.until("document.querySelectorAll('.face[data-theme=high_contrast]').length > 3").await;
    browser.until("document.querySelectorAll('.katex .tone-honey').length > 2").await;
    browser.press("Show on the wall").await;
    browser.see_text("Slide 1 of 5").await;
    browser.keys("\u{e014}").await;
    browser.until("!!document.querySelector('.wall .katex .tone-honey')").await;
    browser.close().await;
}

#[tokio::test]
async fn the_wall_works_what_was_not_planned() {
    let (_program, browser) = opened("Equations in balance").await;
    browser.press("Show on the wall").await;
    browser.see_text("Slide 1 of 5").await;
    // A spare board: each line is judged by the one above.
    browser.keys("s").await;
    browser.until("document.activeElement?.tagName === 'MATH-FIELD'").await;
    browser.keys("3x+5=20\u{e007}").await;
    browser
        .until("document.activeElement === document.querySelectorAll('.spare math-field')[1]")
        .await;
    browser.keys("3x=25\u{e007}").await;
    browser.see("//*[contains(@class, 'spare')]//strong[normalize-space(.) = 'breaks']").await;
    browser.keys("\u{e00c}").await;
    browser.until("!document.querySelector('.spare')").await;
    // Other numbers: the working follows, and the lesson stays as it was.
    browser.ask("document.activeElement.blur()").await;
    browser.keys("\u{e00f}").await;
    browser.see_text("Slide 2 of 5").await;
    browser.keys("n").await;
    browser.click("//input[@aria-label = 'Number 3']").await;
    browser.select_all().await;
    browser.keys("51\u{e007}").await;
    browser.until("document.querySelector('.wall .face').innerText.includes('51')").await;
    browser.press("Close").await;
    browser.press("Next line").await;
    browser.press("Next line").await;
    browser.until("document.querySelector('.wall .face').innerText.includes('n equals 7')").await;
    browser.press("Leave").await;
    browser.see_text("Two steps").await;
    assert!(!browser.text().await.contains("51"));
    browser.close().await;
}

#[tokio::test]
async fn a_text_becomes_a_lesson_and_is_looked_over() {
    let program = Program::start().await;
    let browser = Browser::open(1280, 943).await;
    browser.sign_in(&program.url).await;
    browser.press("Look over a text").await;
    browser.click("//textarea").await;
    browser.keys("Hana has 12 jars. She sells 5. How many does Hanna have left?").await;
    browser.press("Look it over").await;
    browser.see_text("Hana is called Hanna here.").await;
    browser.keys("\u{e00c}").await;
    browser.press("New lesson").await;
    browser.click_text("From a file").await;
    let text = b"# Percent\n\n## Starter\n\nWhat is half of 60?\n\nAnswer: 30\n\n## Teach\n\n**Percent**: of a hundred.\n";
    browser
        .find("input[type='file']")
        .await
        .send_keys(file("percent.md", text))
        .await
        .expect("chosen");
    browser.press("Make the lesson").await;
    browser.see("//h1[normalize-space(.) = 'Percent']").await;
    browser.until("document.querySelectorAll('.picture h2').length === 2").await;
    browser.see_text("What is half of 60?").await;
    browser.see_text("of a hundred.").await;
    // The ladders of all lessons stand on the shelf, too.
    browser.click_text("Shelf").await;
    browser.click_text("Ladders").await;
    browser.until("document.querySelectorAll('.ladders li').length >= 6").await;
    browser.close().await;
}

/// What one tab saved is not overwritten by another one that did not know of it: the second is asked.
#[tokio::test]
async fn two_tabs_do_not_overwrite_each_other() {
    let (program, first) = opened("Equations in balance").await;
    let second = Browser::open(1280, 943).await;
    second.sign_in(&program.url).await;
    second.click_text("Equations in balance").await;
    second.press("Work on it").await;
    second.see_text("Notes for you alone").await;
    first.fill("Notes for you alone", "from the first tab").await;
    saved(&first).await;
    second.fill("Notes for you alone", "from the second tab").await;
    second.see_text("This lesson was changed in another window").await;
    second.press("Take the other one").await;
    second
        .until("[...document.querySelectorAll('textarea')].some((t) => t.value === 'from the first tab')")
        .await;
    // What stands on the server is what the first tab saved.
    first.ask("location.reload()").await;
    first.see_text("from the first tab").await;
    first.close().await;
    second.close().await;
}
