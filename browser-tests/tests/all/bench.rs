//! The ladder bench, as a teacher works on it: locked, changed, undone, kept, printed in versions.

use browser_tests::{Browser, Program, lesson_of};
use serde_json::Value;

async fn bench() -> (Program, Browser, String) {
    let program = Program::start().await;
    let browser = Browser::open(1280, 943).await;
    browser.sign_in(&program.url).await;
    let (_, ladder) = program.demo_ladder().await;
    let path = format!("/lessons/{}/ladder", lesson_of(&ladder));
    browser.go(&format!("{}{path}", program.url)).await;
    browser.see_text("Choose at least one skill.").await;
    (program, browser, path)
}

/// The prompts on the bench, as they are read.
async fn prompts(browser: &Browser) -> Vec<String> {
    let asked = "[...document.querySelectorAll('.rung .prompt')].map((p) => p.textContent.trim())";
    serde_json::from_value(browser.ask(asked).await).expect("texts")
}

async fn wait_for_rungs(browser: &Browser, count: usize) {
    browser.until(&format!("document.querySelectorAll('.rungs .rung').length === {count}")).await;
}

/// Presses a tool of a rung, counted from 1.
async fn tool(browser: &Browser, rung: usize, name: &str) {
    browser.press(&format!("{name}: Rung {rung}")).await;
}

#[tokio::test]
async fn a_ladder_is_locked_changed_undone_and_kept() {
    let (program, browser, path) = bench().await;
    browser.click_text("The area of a triangle").await;
    wait_for_rungs(&browser, 9).await;
    let first = prompts(&browser).await;

    // What is locked stays when the others are drawn again.
    tool(&browser, 1, "Lock").await;
    browser.see_text("Locked").await;
    browser.press("Draw other numbers").await;
    browser.until(&differs(&first[1], 1)).await;
    let second = prompts(&browser).await;
    assert_eq!(first[0], second[0]);

    // A changed number changes the answer with it.
    browser.click("//*[contains(@class, 'el-switch')]").await;
    tool(&browser, 1, "Change").await;
    let base: i64 = number_after(&first[0], "base of ");
    let height: i64 = number_after(&first[0], "height on it is ");
    // Of the same parity, so that the area stays whole.
    let mut near = (2..=6).step_by(2).map(|by| if base > 20 { base - by } else { base + by });
    let wished = near.find(|&wished| wished != height).expect("one of three");
    browser.fill("Number 1", &wished.to_string()).await;
    browser.keys("\u{e007}").await; // enter
    browser.until(&format!("{PROMPTS}[0].textContent.includes('base of {wished} cm')")).await;
    let answer = "document.querySelector('.rung .answer').textContent";
    browser.until(&format!("{answer}.includes('{}')", wished * height / 2)).await;

    // A number that cannot be is refused, and nothing changes.
    browser.fill("Number 1", "9999").await;
    browser.keys("\u{e007}").await;
    browser.see_text("Nothing was changed.").await;
    browser.until(&format!("{PROMPTS}[0].textContent.includes('base of {wished} cm')")).await;

    // A problem typed by hand takes its place, worked.
    browser.fill("Another problem in its place", "4(x - 3) = 28").await;
    browser.press("Take it").await;
    browser.until(&format!("{answer}.includes('10')")).await;
    let typed = prompts(&browser).await;

    // Back step by step to what was drawn first, and forward again.
    let mut steps = 0;
    while browser.ask(UNDO_IS_OPEN).await == Value::Bool(true) {
        browser.press("Undo").await;
        steps += 1;
    }
    assert!(steps >= 4, "{steps}");
    browser.see_text("Choose at least one skill.").await;
    for _ in 0..steps {
        browser.press("Redo").await;
    }
    browser.until(&format!("{answer}.includes('10')")).await;
    assert_eq!(prompts(&browser).await, typed);

    // It is kept: another visit finds it as it was.
    browser.see("//*[@role = 'status'][normalize-space(.) = 'Saved']").await;
    browser.go(&format!("{}{path}", program.url)).await;
    wait_for_rungs(&browser, 9).await;
    assert_eq!(prompts(&browser).await, typed);

    // Hung on the lesson it is the same, and other versions have other numbers.
    browser.press("Hang it on the lesson").await;
    browser.see_text("What the class wrote").await;
    let path = browser.ask("location.pathname").await;
    let id = path.as_str().and_then(|path| path.rsplit('/').next()).expect("an id").to_owned();
    let a = browser.words_of_pdf(&format!("/api/ladders/{id}/sheet.pdf")).await;
    let b = browser.words_of_pdf(&format!("/api/ladders/{id}/sheet.pdf?version=B")).await;
    assert!(b.contains("(B)") && !a.contains("(B)"));
    let numbers = |text: &str| {
        let digits = |c: char| !c.is_ascii_digit();
        text.split(digits).filter(|part| !part.is_empty()).map(str::to_owned).collect::<Vec<_>>()
    };
    assert_ne!(numbers(&a), numbers(&b));
    assert!(squeezed(&a).contains("=28") && squeezed(&b).contains("=28"), "{a}\n{b}");
}

#[tokio::test]
async fn a_rung_is_moved_made_harder_and_taken_away() {
    let (_program, browser, _) = bench().await;
    browser.click_text("Linear equations").await;
    wait_for_rungs(&browser, 9).await;
    let before = prompts(&browser).await;
    tool(&browser, 1, "Move down").await;
    browser.until(&differs(&before[0], 0)).await;
    let after = prompts(&browser).await;
    assert_eq!((&after[0], &after[1]), (&before[1], &before[0]));
    // Undone with keys.
    browser.ask("document.activeElement.blur()").await;
    browser.with_control("z").await;
    browser.until(&differs(&after[0], 0)).await;
    assert_eq!(prompts(&browser).await, before);
    tool(&browser, 4, "Harder").await;
    browser
        .until(&format!(
            "{PROMPTS}.length === 9 && ![...{PROMPTS}].some((p) => p.textContent.trim() === {})",
            serde_json::json!(before[3])
        ))
        .await;
    tool(&browser, 1, "Take away").await;
    wait_for_rungs(&browser, 8).await;
}

const PROMPTS: &str = "document.querySelectorAll('.rung .prompt')";
const UNDO_IS_OPEN: &str = "![...document.querySelectorAll('button')].find((b) => b.textContent.trim() === 'Undo').disabled";

/// Until a prompt is another one.
fn differs(prompt: &str, at: usize) -> String {
    format!(
        "{PROMPTS}.length > {at} && {PROMPTS}[{at}].textContent.trim() !== {}",
        serde_json::json!(prompt)
    )
}

fn number_after(text: &str, words: &str) -> i64 {
    let rest = text.split_once(words).unwrap_or_else(|| panic!("“{words}” in {text}")).1;
    let digits: String = rest.chars().take_while(char::is_ascii_digit).collect();
    digits.parse().expect("a number")
}

fn squeezed(text: &str) -> String {
    text.split_whitespace().collect()
}

#[tokio::test]
async fn stories_are_told_of_a_scenario_of_ones_own() {
    let (_program, browser, _) = bench().await;
    browser.click_text("Percent of an amount").await;
    wait_for_rungs(&browser, 9).await;
    browser.press("One of your own …").await;
    browser.press("Keep it").await;
    browser.see_text("Give the scenario a title and a place").await;
    for (label, text) in [
        ("What you call it", "The kitchen"),
        ("The place, as it stands behind “at”", "the school kitchen"),
        ("First names, with commas between them", "Ada, Noor"),
        ("One of them, or one unit of it", "tray"),
        ("More of them", "trays"),
        ("The greatest number that could be true", "2000"),
    ] {
        browser.fill(label, text).await;
    }
    browser.press("Tell me some stories").await;
    browser.see("//li[contains(., 'trays') and contains(., 'the school kitchen')]").await;
    browser.press("Keep it").await;
    browser.until(&format!("{PROMPTS}[6].textContent.includes('the school kitchen')")).await;
    let told = prompts(&browser).await;
    assert!(told[6..].iter().all(|prompt| prompt.contains("trays")), "{told:?}");
    browser.close().await;
}
