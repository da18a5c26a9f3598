//! A live lesson: the wall and the teacher's window, students on phones, one who comes late, one who reloads, one whose
//! network goes; and two servers.

use browser_tests::{Browser, Network, Program, lesson_of};

/// The wall of the first demo lesson with a ladder, open to whoever has its code; and the code.
async fn opened(program: &Program) -> (Browser, String, u64) {
    let (_, ladder) = program.demo_ladder().await;
    let lesson = lesson_of(&ladder).0;
    let wall = Browser::open(1280, 800).await;
    wall.sign_in(&program.url).await;
    wall.go(&format!("{}/lessons/{lesson}/show", program.url)).await;
    wall.press("Open to the class").await;
    wall.press("Open it").await;
    wall.see_text("Or point a camera here").await;
    wall.until("document.querySelector('.way-in .big')?.textContent.trim().length === 6").await;
    let code = wall.ask("document.querySelector('.way-in .big').textContent.trim()").await;
    let id =
        wall.ask_later("fetch('/api/live').then((all) => all.json()).then((all) => all[0].id)");
    let id = id.await.as_u64().expect("an id");
    (wall, code.as_str().expect("a code").to_owned(), id)
}

/// A student on a phone, who typed the code and a first name.
async fn student(url: &str, code: &str, name: &str) -> Browser {
    let phone = Browser::open_phone().await;
    phone.go(&format!("{url}/join")).await;
    phone.fill("The code on the wall", &code.to_uppercase()).await;
    phone.press("Go on").await;
    phone.fill("First name", name).await;
    phone.press("Go in").await;
    phone.see_text("Raise your hand").await;
    phone
}

async fn line(phone: &Browser, text: &str) {
    phone.into_maths("Line 1").await;
    phone.keys(text).await;
}

#[tokio::test]
async fn a_class_joins_answers_and_is_shown() {
    let program = Program::start().await;
    let (wall, code, id) = opened(&program).await;
    let ada = student(&program.url, &code, "Ada").await;
    let bo = student(&program.url, &code, "Bo").await;
    wall.see_text("2 are in").await;
    wall.press("Hide the code").await;

    // The teacher's step is the class's step.
    wall.press("Next line").await;
    let teacher = Browser::open(1280, 800).await;
    teacher.sign_in(&program.url).await;
    teacher.go(&format!("{}/live/{id}", program.url)).await;
    teacher.see_text("2 are in").await;
    teacher.fill("Type a question or a problem", "expand 3(x + 4)").await;
    teacher.press("Ask").await;

    ada.see_text("Expand").await;
    line(&ada, "3x+12").await;
    ada.press("Send it").await;
    ada.see_text("That is right.").await;
    // A reload in mid-answer loses nothing.
    bo.see_text("Expand").await;
    line(&bo, "3x+4").await;
    bo.until("Object.keys(localStorage).some((key) => localStorage[key].includes('3x+4'))").await;
    bo.run("location.reload()").await;
    bo.see_text("Raise your hand").await;
    bo.until("document.querySelector('math-field')?.value.includes('3x+4')").await;
    bo.press("Send it").await;
    bo.see_text("Not yet.").await;
    bo.until("document.documentElement.scrollWidth <= window.innerWidth").await;
    // One comes late, and is where the others are.
    let network = Network::to(&program.url).await;
    let cy = student(&network.url, &code, "Cy").await;
    cy.see_text("Expand").await;
    // The network of one goes in mid-answer: it waits on the device, and goes out once.
    line(&cy, "4+3x").await;
    network.goes();
    cy.see_text("No connection.").await;
    cy.press("Send it").await;
    cy.see_text("Kept on this device until the connection is back.").await;
    network.comes_back();
    cy.see_text("Not yet.").await;

    // The answers are grouped by what they mean, and go on the wall without a name.
    teacher.see_text("3 of 3 answered").await;
    teacher.until("document.querySelectorAll('.groups ol li').length === 2").await;
    teacher.see("//li[contains(., 'Bo') and contains(., 'Cy')]").await;
    teacher.click("(//button[normalize-space(.) = 'On the wall'])[1]").await;
    wall.until("document.querySelector('.panel .answers li') !== null").await;
    let shown = wall.ask("document.querySelector('.panel').textContent").await;
    assert!(!shown.as_str().expect("text").contains("Bo"), "{shown}");
    teacher.press("Shares on the wall").await;
    wall.until("document.querySelectorAll('.panel .shares li').length === 2").await;
    wall.until("document.querySelector('.panel .shares .right') === null").await;
    teacher.press("Tell what is right").await;
    wall.until("document.querySelector('.panel .shares .right') !== null").await;
    ada.see_text("Right is").await;

    ada.press("Raise your hand").await;
    teacher.see_text("hand up").await;
    teacher.press("Seen").await;
    ada.see_text("Raise your hand").await;
    teacher.press("Look up").await;
    bo.see_text("Your teacher wants to show you something.").await;
    teacher.press("End for the class").await;
    teacher
        .click("//div[contains(@class, 'el-message-box')]//button[normalize-space(.) = 'End for the class']")
        .await;
    bo.see_text("This lesson is over.").await;
    // It is kept as it went.
    teacher.press("Walk through it again").await;
    teacher.see_text("How it went").await;
    teacher.see("//li[contains(., 'Bo') and contains(., 'Cy')]").await;
    for browser in [wall, teacher, ada, bo, cy] {
        browser.close().await;
    }
}

#[tokio::test]
async fn two_servers_serve_one_class_and_a_killed_one_loses_nothing() {
    let mut program = Program::start().await;
    let second = program.beside();
    let (wall, code, id) = opened(&program).await;
    let ada = student(&program.url, &code, "Ada").await;
    let bo = student(&second.url, &code, "Bo").await;
    wall.see_text("2 are in").await;
    let teacher = Browser::open(1280, 800).await;
    teacher.sign_in(&second.url).await;
    teacher.go(&format!("{}/live/{id}", second.url)).await;
    teacher.press("A, B, C, D").await;
    for (phone, choice) in [(&ada, "A"), (&bo, "B")] {
        phone.press(choice).await;
        phone.see_text("Your answer has arrived.").await;
    }
    teacher.see_text("2 of 2 answered").await;
    // The first server dies in mid-lesson: what it acknowledged is there, and its students come back by themselves.
    program.kill();
    ada.press("C").await;
    ada.see_text("Kept on this device until the connection is back.").await;
    program.start_again();
    ada.see("//button[@aria-pressed = 'true'][normalize-space(.) = 'C']").await;
    teacher.until("[...document.querySelectorAll('.groups .ends')].some((end) => end.textContent.trim() === 'C')").await;
    teacher.until("document.querySelectorAll('.groups ol li').length === 2").await;
    for browser in [wall, teacher, ada, bo] {
        browser.close().await;
    }
}
