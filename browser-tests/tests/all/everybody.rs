//! For everybody: small phones, the keyboard alone, names for those who listen, no broken policy.

use browser_tests::access::broken_rules;
use browser_tests::{Browser, Program, lesson_of};

async fn signed_in(program: &Program, browser: Browser) -> Browser {
    browser.sign_in(&program.url).await;
    browser
}

async fn check(browser: &Browser, what: &str) {
    // Colours that still fade are neither the old nor the new ones.
    browser.until("document.getAnimations().every((a) => a.playState !== 'running')").await;
    let wide = "document.documentElement.scrollWidth <= document.documentElement.clientWidth";
    assert_eq!(browser.ask(wide).await, true, "{what} is wider than its window");
    let broken = broken_rules(browser).await;
    assert!(broken.is_empty(), "{what} breaks rules:\n{}", broken.join("\n"));
    let headings = browser.count("h1").await;
    assert!(headings <= 1, "{what} has {headings} main headings");
    assert_eq!(browser.ask("document.documentElement.lang").await, "en", "{what}");
}

#[tokio::test]
async fn every_view_fits_a_small_phone_and_names_what_it_offers() {
    let program = Program::start().await;
    let (_, ladder) = program.demo_ladder().await;
    let (phone, screen) = (Browser::open_phone().await, Browser::open(1280, 900).await);
    for (browser, name) in [(phone, "Sanna"), (screen, "Noor")] {
        browser.go(&program.url).await;
        browser.see_text("Good to see you").await;
        check(&browser, "sign-in").await;
        browser.fill("Sign-in name", "orla").await;
        browser.fill("Password", "clover-and-heather").await;
        browser.press("Sign in").await;
        browser.see_text("Equations in balance").await;
        check(&browser, "the shelf").await;
        browser.press("Look over a text").await;
        browser.see_text("Paste a sheet, a key or a plan.").await;
        check(&browser, "the text to be looked over").await;
        browser.keys("\u{e00c}").await; // escape
        browser.until("!document.querySelector('.el-overlay')?.offsetParent").await;
        browser.with_control("k").await;
        browser.see("//*[@role = 'option']").await;
        check(&browser, "everything that can be done").await;
        browser.keys("\u{e00c}").await;
        browser.go(&format!("{}/lessons/{}", program.url, lesson_of(&ladder))).await;
        browser.see_text("The phases fill the lesson.").await;
        check(&browser, "a lesson").await;
        browser.press("Work on it").await;
        browser.see_text("Notes for you alone").await;
        check(&browser, "a lesson, open").await;
        browser.press("Add to this slide …").await;
        browser.take("Question").await;
        browser.see("//label[starts-with(normalize-space(.), 'Answered by')]").await;
        check(&browser, "a question").await;
        browser.press("Add to this slide …").await;
        browser.take("Picture").await;
        browser.until("document.querySelectorAll('.chooser .label').length > 10").await;
        check(&browser, "a picture in the making").await;
        browser.press("Plan").await;
        browser.see_text("The phases fill the").await;
        browser.press("+ One more").await;
        check(&browser, "the plan").await;
        let look = browser.see("//button[starts-with(normalize-space(.), 'Second Look')]").await;
        look.click().await.expect("pressed");
        browser.see_text("This question has no words yet.").await;
        check(&browser, "Second Look").await;
        browser.press("History").await;
        browser.see_text("What the lesson was").await;
        check(&browser, "the history").await;
        browser.go(&format!("{}/lessons/{}/show?slide=2", program.url, lesson_of(&ladder))).await;
        browser.see_text("Slide 2 of").await;
        check(&browser, "the wall").await;
        browser.keys("n").await;
        browser.see_text("Work it").await;
        check(&browser, "other numbers on the wall").await;
        browser.press("Close").await;
        browser.ask("document.activeElement.blur()").await;
        browser.keys("s").await;
        browser.see_text("Wipe the board").await;
        check(&browser, "the spare board").await;
        browser.go(&format!("{}/lessons/{}/beside", program.url, lesson_of(&ladder))).await;
        browser.see_text("this one follows it").await;
        check(&browser, "the window beside the wall").await;
        browser.go(&format!("{}/lessons/{}/ladder", program.url, lesson_of(&ladder))).await;
        browser.click_text("Linear equations").await;
        browser.until("document.querySelectorAll('.rungs .number').length === 9").await;
        check(&browser, "the ladder bench").await;
        browser.go(&format!("{}/lessons/{}/working", program.url, lesson_of(&ladder))).await;
        browser.see_text("The working will stand here").await;
        check(&browser, "the empty working bench").await;
        browser.fill("Problem", "3(2x - 5) = 27").await;
        browser.press("Work it out").await;
        browser.click("(//ol[contains(@class, 'lines')]/li)[2]/button").await;
        browser.see_text("Leave out for the class to fill in").await;
        check(&browser, "the working bench").await;
        browser.press("Put a slip in").await;
        browser.see_text("In place of line 2").await;
        check(&browser, "the slips").await;
        browser.go(&format!("{}/ladders/{}", program.url, ladder.id)).await;
        browser.until("document.querySelectorAll('.rungs .answer').length === 9").await;
        check(&browser, "a ladder").await;
        browser.click_text("Second Look").await;
        browser.see_text("Nothing to mend here.").await;
        check(&browser, "a ladder looked over").await;
        browser.click_text("What the class wrote").await;
        browser.press("Hana, Rung 1: finished").await;
        check(&browser, "the class's work").await;
        browser.go(&format!("{}/desk/{}", program.url, ladder.link)).await;
        browser.see_text("What is your first name?").await;
        check(&browser, "joining").await;
        browser.fill("First name", name).await;
        browser.press("Sit down").await;
        browser.see_text("Write your first line.").await;
        check(&browser, "the Step Desk").await;
        live(&program, &browser, lesson_of(&ladder).0, name).await;
        browser.close().await;
    }
}

/// The screens of a live lesson, for its teacher and for a student.
async fn live(program: &Program, browser: &Browser, lesson: u64, name: &str) {
    let post = |path: &str, body: &str| {
        format!(
            "fetch(`{path}`, {{ method: 'POST', headers: {{ 'content-type': 'application/json' }}, body: JSON.stringify({body}) }}).then((answer) => answer.json())"
        )
    };
    let opened = browser.ask_later(&post("/api/live", &format!("{{ lesson: {lesson} }}"))).await;
    let id = opened["id"].as_u64().expect("an id");
    let view = format!("fetch('/api/live/{id}').then((answer) => answer.json())");
    let view = browser.ask_later(&view).await;
    let code = view["live"]["code"].as_str().expect("a code").to_owned();
    let wanted = "{ wanted: { from: 'typed', text: 'expand 3(x + 4)' } }";
    browser.ask_later(&post(&format!("/api/live/{id}/questions"), wanted)).await;
    browser.go(&format!("{}/join", program.url)).await;
    browser.see_text("The code on the wall").await;
    check(browser, "the way in to a live lesson").await;
    browser.go(&format!("{}/join/{code}", program.url)).await;
    browser.fill("First name", &format!("{name} L")).await;
    browser.press("Go in").await;
    browser.see_text("Raise your hand").await;
    browser.see("//*[normalize-space(.) = 'Another line']").await;
    check(browser, "a live lesson for a student").await;
    browser.go(&format!("{}/live/{id}", program.url)).await;
    browser.see_text("0 of 1 answered").await;
    browser.press("Ask …").await;
    check(browser, "the teacher's window of a live lesson").await;
    let end = post(&format!("/api/live/{id}/events"), "{ kind: 'ended' }");
    browser.ask_later(&end).await;
    browser.go(&format!("{}/live/{id}/walk", program.url)).await;
    browser.see_text("How it went").await;
    check(browser, "a live lesson walked through again").await;
}

#[tokio::test]
async fn the_page_breaks_no_policy_and_fetches_nothing_from_elsewhere() {
    let program = Program::start().await;
    let (_, ladder) = program.demo_ladder().await;
    let browser = signed_in(&program, Browser::open(1280, 900).await).await;
    for path in [
        "/".to_owned(),
        format!("/lessons/{}", lesson_of(&ladder)),
        format!("/lessons/{}/show?slide=2", lesson_of(&ladder)),
        format!("/lessons/{}/working", lesson_of(&ladder)),
        format!("/ladders/{}", ladder.id),
        format!("/desk/{}", ladder.link),
    ] {
        browser.go(&format!("{}{path}", program.url)).await;
        browser
            .ask("void (window.broken = [], addEventListener('securitypolicyviolation', (e) => broken.push(e.blockedURI)))")
            .await;
        browser.until("document.readyState === 'complete'").await;
        // A page that nobody looks at is not laid out, and asks for no fonts, unless it is told to.
        browser.until("document.body.offsetHeight > 0 && document.fonts.status === 'loaded'").await;
        let elsewhere = format!(
            "performance.getEntriesByType('resource').map((r) => r.name).filter((n) => !n.startsWith('{}') && !n.startsWith('data:'))",
            program.url
        );
        assert_eq!(browser.ask(&elsewhere).await, serde_json::json!([]), "{path}");
        assert_eq!(browser.ask("window.broken").await, serde_json::json!([]), "{path}");
        let face = "document.fonts.check('16px \"Atkinson Hyperlegible Next Variable\"')";
        assert_eq!(browser.ask(face).await, true, "{path}");
    }
    browser.close().await;
}

#[tokio::test]
async fn the_wall_is_worked_with_the_keyboard_alone() {
    let program = Program::start().await;
    let (_, ladder) = program.demo_ladder().await;
    let browser = signed_in(&program, Browser::open(1280, 900).await).await;
    browser.go(&format!("{}/lessons/{}/show?slide=2", program.url, lesson_of(&ladder))).await;
    browser.see_text("Slide 2 of 6").await;
    let spoken = "document.querySelector('.wall [aria-live]').innerText";
    browser.until(&format!("{spoken}.startsWith('n over 6')")).await;
    browser.keys("\u{e00f}").await; // page down, as a presenter's remote sends it
    browser.until(&format!("{spoken}.includes('Cross-multiply')")).await;
    browser.keys("b").await;
    browser.see_text("The wall is blank. Press B to go on.").await;
    browser.keys("b").await;
    browser.until("!document.body.innerText.includes('The wall is blank')").await;
    browser.keys("\u{e010}").await; // end
    browser.see_text("Slide 6 of 6").await;
    browser.keys("\u{e011}").await; // home
    browser.see_text("Slide 1 of 6").await;
    browser.keys("\u{e00c}").await; // escape
    browser.see_text("Proportions with a missing term").await;
    browser.close().await;
}

#[tokio::test]
async fn the_dark_page_is_as_readable() {
    let program = Program::start().await;
    let (_, ladder) = program.demo_ladder().await;
    let browser = signed_in(&program, Browser::open_dark().await).await;
    browser.until("matchMedia('(prefers-color-scheme: dark)').matches").await;
    for (path, sign) in [
        ("/".to_owned(), "Equations in balance"),
        (format!("/lessons/{}", lesson_of(&ladder)), "The phases fill the lesson."),
        (format!("/lessons/{}/working", lesson_of(&ladder)), "The working will stand here"),
        (format!("/ladders/{}", ladder.id), "Print the full key"),
    ] {
        browser.go(&format!("{}{path}", program.url)).await;
        browser.see_text(sign).await;
        check(&browser, &format!("{path} in the dark")).await;
    }
    browser.close().await;
}
