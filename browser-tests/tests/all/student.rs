//! The student's path: a link, a name, lines, a verdict for each, and what was called saved is kept.

use browser_tests::{Browser, Program};
use store::{LadderId, TeacherId};

/// The verdict words on the page, from top to bottom.
const VERDICTS: &str = "[...document.querySelectorAll('.lines .verdict .verdict')].map((v) => v.innerText.trim()).join()";

#[tokio::test]
async fn a_student_writes_lines_and_each_gets_its_verdict() {
    let mut program = Program::start().await;
    let (orla, ladder) = program.demo_ladder().await;
    let rung = ladder.ladder.rungs[1].clone();
    assert_eq!(rung.skill, "equations.linear");
    let solution: i64 = rung.answer.value.parse().expect("Grip is whole");
    let browser = Browser::open(400, 900).await;

    browser.go(&format!("{}/desk/nothing", program.url)).await;
    browser.see_text("This link opens no Step Desk. Ask for it again.").await;

    let desk = format!("{}/desk/{}", program.url, ladder.link);
    browser.go(&desk).await;
    browser.press("Sit down").await;
    browser.see_text("Type your first name").await;
    browser.fill("First name", "Sanna").await;
    browser.press("Sit down").await;
    browser.press("Rung 2, Grip").await;
    browser.see_text("Write your first line.").await;

    // A line that breaks, with a value that shows it.
    browser.into_maths("Line 1").await;
    browser.keys(&format!("x={}", solution + 1)).await;
    browser.until(&format!("{VERDICTS} === 'breaks'")).await;
    browser.see_text("it fits this line, but not the line above").await;
    browser.see("//*[@role = 'status'][normalize-space(.) = 'Saved']").await;

    // A line that cannot be read, with its place and a mend in one tap.
    browser.select_all().await;
    browser.keys(&format!("(x={solution}")).await;
    browser.until(&format!("{VERDICTS} === 'can’t read'")).await;
    browser.see_text("is never closed.").await;
    browser.press("Show where").await;
    let selected = "(() => { const m = document.querySelector('math-field'); \
                    return m.getValue(m.selection, 'latex'); })()";
    browser.until(&format!("{selected} === '('")).await;
    browser.keys("\u{e003}").await; // backspace over the bracket that was shown
    browser.until(&format!("{VERDICTS} === 'holds'")).await;
    browser.see_text("Finished. Every line holds.").await;
    browser.see("//*[@role = 'status'][normalize-space(.) = 'Saved']").await;

    // What the screen calls saved is in MariaDB, and survives the program's sudden end.
    let db = &program.scratch.db;
    let kept = store::desk::of_ladder(db, orla, ladder.id, None).await.expect("desks").entries;
    let sanna = kept.iter().find(|desk| desk.student == "Sanna").expect("she joined");
    assert_eq!(sanna.written[0].rung, 2);
    assert_eq!(sanna.written[0].lines[0].text, format!("x={solution}"));
    assert!(sanna.written[0].judgement.finished);
    program.kill();
    program.start_again();
    browser.go(&desk).await;
    browser.see_text("Not Sanna?").await;
    browser.press("Rung 2, Grip, finished").await;
    browser.until(&format!("{VERDICTS} === 'holds'")).await;

    // While the program is away nothing is lost and nothing is called saved.
    browser.press("Rung 3, Grip").await;
    browser.see_text("Write your first line.").await;
    browser.into_maths("Line 1").await;
    program.kill();
    browser.keys("7+").await;
    browser.see_text("Not saved: the network is gone.").await;
    program.start_again();
    browser.see("//*[@role = 'status'][normalize-space(.) = 'Saved']").await;

    // The teacher sees it beside the rung.
    browser.sign_in(&program.url).await;
    browser.go(&format!("{}/ladders/{}", program.url, ladder.id)).await;
    browser.click_text("What the class wrote").await;
    browser.press("Sanna, Rung 2: finished").await;
    browser.see("//h2[normalize-space(.) = 'Sanna, Rung 2']").await;
    browser.until("document.querySelector('.beside .judged .line').innerText.includes('x')").await;
    browser.close().await;
}

#[tokio::test]
async fn a_line_that_drops_or_adds_a_solution_is_told_so() {
    let program = Program::start().await;
    let db = &program.scratch.db;
    let (orla, ladder) = program.demo_ladder().await;
    // A rung with two solutions is beyond the skills so far, so this one is posed by hand.
    let mut posed = ladder.ladder.clone();
    posed.rungs.truncate(1);
    posed.rungs[0].line = "x^2 = 5x".into();
    posed.rungs[0].prompt = "Solve $x^2 = 5x$.".into();
    posed.rungs[0].unknown = "x".into();
    posed.rungs[0].figure = None;
    let id = store::ladder::create(db, orla, ladder.lesson, "By hand", &posed, None)
        .await
        .expect("kept");
    let link = store::ladder::find(db, orla, id).await.expect("kept").link;
    let browser = Browser::open(1280, 900).await;
    browser.go(&format!("{}/desk/{link}", program.url)).await;
    browser.fill("First name", "Mateo").await;
    browser.press("Sit down").await;
    browser.into_maths("Line 1").await;
    browser.keys("x=5").await;
    browser.until(&format!("{VERDICTS} === 'drops a solution'")).await;
    browser.see_text("One value that fits the line above does not fit this line any more.").await;
    browser.keys("\u{e007}").await; // enter
    browser.into_maths("Line 2").await;
    browser.keys("x^2=25").await;
    browser.until(&format!("{VERDICTS} === 'drops a solution,holds'")).await;
    browser.see_text("This step may add a solution: check at the end.").await;
    let typed = browser.ask("document.querySelectorAll('math-field')[1].value").await;
    assert_eq!(typed, "x^2=25", "the equals sign stands on the line again");
    browser.select_all().await;
    browser.keys("x=5 or x=7").await;
    browser.until(&format!("{VERDICTS} === 'drops a solution,adds a solution'")).await;
    browser.close().await;
}

/// A ladder with one rung, posed by hand.
async fn by_hand(program: &Program, line: &str, prompt: &str) -> (TeacherId, LadderId, String) {
    let db = &program.scratch.db;
    let (orla, ladder) = program.demo_ladder().await;
    let mut posed = ladder.ladder.clone();
    posed.rungs.truncate(1);
    (posed.rungs[0].line, posed.rungs[0].prompt) = (line.into(), prompt.into());
    posed.rungs[0].unknown = "x".into();
    posed.rungs[0].figure = None;
    let id = store::ladder::create(db, orla, ladder.lesson, "By hand", &posed, None)
        .await
        .expect("kept");
    let link = store::ladder::find(db, orla, id).await.expect("kept").link;
    (orla, id, link)
}

#[tokio::test]
async fn a_root_equation_is_worked_to_its_check_with_pictures_and_hints() {
    let program = Program::start().await;
    let (orla, id, link) = by_hand(&program, "sqrt(x+6) = x", "Solve $\\sqrt{x+6} = x$.").await;
    let browser = Browser::open(1280, 900).await;
    browser.go(&format!("{}/desk/{link}", program.url)).await;
    browser.fill("First name", "Sanna").await;
    browser.press("Sit down").await;

    // What squaring brought in is left out at the end, and then every line holds.
    for (number, line, verdicts) in [
        (1, "x+6=x^2", "holds"),
        (2, "x=3 or x=-2", "holds,adds a solution"),
        (3, "x=3", "holds,holds,holds"),
    ] {
        browser.into_maths(&format!("Line {number}")).await;
        browser.keys(line).await;
        browser.until(&format!("{VERDICTS} === '{verdicts}'")).await;
        if number < 3 {
            browser.keys("\u{e007}").await; // enter
        }
    }
    browser.see_text("Finished. Every line holds.").await;
    browser.see_text("square both sides").await;
    // A screen reader hears the line as it was read, and then the verdict.
    let heard = "document.querySelector('.lines .verdict[role=status]').textContent.replace(/\\s+/g, ' ').trim()";
    let heard = browser.ask(heard).await;
    let heard = heard.as_str().expect("words");
    assert!(heard.starts_with("x plus 6 equals x squared:holds"), "{heard}");

    // The picture shows one crossing above and two below, and names none of them.
    browser.click("(//button[normalize-space(.) = 'See it'])[1]").await;
    browser.until("document.querySelectorAll('.step .scene').length === 4").await;
    let told = "[...document.querySelectorAll('.step .scene')].map((s) => s.getAttribute('aria-label')).join('|')";
    let told = browser.ask(told).await;
    let told = told.as_str().expect("words");
    assert!(
        told.contains("They meet at one place.") && told.contains("They meet at 2 places."),
        "{told}"
    );
    let dots = "[...document.querySelectorAll('.step section')].map((s) => s.querySelectorAll('circle').length).join()";
    assert_eq!(browser.ask(dots).await, "2,4");

    // The working as a picture of its own.
    let svg = format!("fetch('/api/desk/{link}/rungs/1/working.svg').then((r) => r.text())");
    let svg = browser.ask_later(&svg).await;
    assert!(svg.as_str().is_some_and(|svg| svg.starts_with("<svg")), "{svg}");

    // Hints come one at a time, as strong as the teacher allows.
    browser.into_maths("Line 3").await;
    browser.select_all().await;
    browser.keys("x=4").await;
    browser.until(&format!("{VERDICTS} === 'holds,holds,breaks'")).await;
    browser.press("A hint").await;
    browser.press("A stronger hint").await;
    browser.until("document.querySelectorAll('.hints li').length === 2").await;
    store::ladder::set_rules(&program.scratch.db, orla, id, 0, true).await.expect("kept");
    browser.go(&format!("{}/desk/{link}", program.url)).await;
    browser.until(&format!("{VERDICTS} === 'holds,holds,breaks'")).await;
    assert_eq!(browser.count(".hints").await, 0);
    browser.close().await;
}

#[tokio::test]
async fn a_teacher_says_how_strong_hints_may_be() {
    let program = Program::start().await;
    let (orla, id, _) = by_hand(&program, "3x = 12", "Solve $3x = 12$.").await;
    let browser = Browser::open(1280, 900).await;
    browser.sign_in(&program.url).await;
    browser.go(&format!("{}/ladders/{id}", program.url)).await;
    browser
        .click("//label[contains(@class, 'hints')]//div[contains(@class, 'el-select__wrapper')]")
        .await;
    browser.click("//li[contains(@class, 'el-select-dropdown__item')][normalize-space(.) = 'Where to look']").await;
    browser
        .until("document.querySelector('.hints .el-select').innerText.includes('Where to look')")
        .await;
    let kept = store::ladder::find(&program.scratch.db, orla, id).await.expect("kept");
    assert_eq!(kept.hints, 1);
    browser.close().await;
}
