//! The place for an answer on a phone: a unit, a choice, a line to mend, a table, a sentence, a number line.

use browser_tests::{Browser, Program};
use skills::ladder::{Ladder, LadderOrder, Rung};
use teaching::answer::AnswerKind;

const SAVED: &str = "//*[@role = 'status'][normalize-space(.) = 'Saved']";
const FINISHED: &str = "Finished. Every line holds.";

/// The first rung of a skill's ladders whose answer is of that kind.
fn rung_of(skill: &str, is: impl Fn(&Rung) -> bool) -> Rung {
    let ladders = (1..200).map(|seed| {
        let skills = vec![skill.to_owned()];
        let order = LadderOrder { skills, tilt: 3, climb: 3, seed, ..LadderOrder::default() };
        Ladder::make(&order).expect("every skill makes a ladder")
    });
    ladders.flat_map(|ladder| ladder.rungs).find(is).expect("a rung of that kind")
}

/// A student on a phone before that rung.
async fn seated(program: &Program, rung: Rung) -> Browser {
    let db = &program.scratch.db;
    let (orla, demo) = program.demo_ladder().await;
    let ladder = Ladder { rungs: vec![rung], ..demo.ladder.clone() };
    let id = store::ladder::create(db, orla, demo.lesson, "One rung", &ladder, None).await;
    let link = store::ladder::find(db, orla, id.expect("kept")).await.expect("kept").link;
    let browser = Browser::open_phone().await;
    browser.go(&format!("{}/desk/{link}", program.url)).await;
    browser.fill("First name", "Hana").await;
    browser.press("Sit down").await;
    browser.see("//h2[normalize-space(.) = 'Your answer']").await;
    browser
}

/// Nothing stands out of a phone's width.
async fn fits(browser: &Browser) {
    browser.until("document.documentElement.scrollWidth <= window.innerWidth").await;
}

/// Taps what can be chosen and shows that text. The keypad that goes away may move the page under a finger: who sees that
/// nothing was chosen taps once more.
async fn tap(browser: &Browser, text: &str) {
    let path = format!("//label[contains(@class, 'tile')][normalize-space(.) = '{text}']");
    let is_chosen = format!(
        "[...document.querySelectorAll('label.tile')].some((tile) => \
         tile.innerText.trim() === '{text}' && tile.querySelector('input').checked)"
    );
    for _ in 0..3 {
        browser.click(&path).await;
        if browser.ask(&is_chosen).await == true {
            return;
        }
    }
    panic!("“{text}” cannot be chosen");
}

/// Picks a line of somebody's working.
async fn pick(browser: &Browser, line: usize) {
    browser.click(&format!("(//label[contains(@class, 'tile')])[{line}]")).await;
}

#[tokio::test]
async fn a_number_takes_its_unit_by_a_tap() {
    let program = Program::start().await;
    let rung = rung_of("area.triangle", |rung| {
        matches!(rung.kind(), AnswerKind::Quantity { units, .. } if units.len() == 3)
            && rung.answer.value.parse::<i64>().is_ok()
    });
    let (value, unit) = (rung.answer.value.clone(), rung.answer.unit.clone().expect("a unit"));
    let browser = seated(&program, rung).await;
    browser.into_maths("Your answer").await;
    browser.keys(&value).await;
    browser.see_text("The number is right. Choose its unit.").await;
    tap(&browser, &format!("{}³", unit.trim_end_matches(['²', '³']))).await;
    browser.see_text("Look at its unit again.").await;
    tap(&browser, &unit).await;
    browser.see_text(FINISHED).await;
    browser.see(SAVED).await;
    fits(&browser).await;
    // It is there again after the page was loaded anew.
    browser.run("location.reload()").await;
    browser.see_text(FINISHED).await;
    browser.until("document.querySelector('.place math-field').value !== ''").await;
    browser.close().await;
}

#[tokio::test]
async fn a_choice_is_made_and_a_reason_is_given() {
    let program = Program::start().await;
    let rung = rung_of("integers.add-subtract", |rung| {
        matches!(rung.kind(), AnswerKind::Judgement { because: true, .. })
    });
    let (right, wrong) =
        if rung.answer.value == "true" { ("True", "False") } else { ("False", "True") };
    let browser = seated(&program, rung).await;
    tap(&browser, wrong).await;
    browser.see_text("Not yet.").await;
    tap(&browser, right).await;
    browser.see_text("Right. Now say why.").await;
    browser.fill("Because …", "2 + 2 = 5").await;
    browser.see_text("Look at your reason again").await;
    browser.fill("Because …", "I moved along the number line").await;
    browser.see_text(FINISHED).await;
    fits(&browser).await;
    browser.close().await;
}

#[tokio::test]
async fn the_line_that_breaks_is_picked_and_mended() {
    let program = Program::start().await;
    let rung = rung_of("equations.linear", |rung| {
        rung.flawed
            .as_ref()
            .is_some_and(|flawed| flawed.breaks == Some(2) && flawed.lines.len() > 2)
    });
    let (name, solution) = (rung.flawed.clone().expect("lines").name, rung.answer.value.clone());
    let browser = seated(&program, rung).await;
    browser.see_text(&name).await;
    pick(&browser, 3).await;
    browser.see_text("Line 3 follows from line 2. Look further up.").await;
    pick(&browser, 2).await;
    browser.see_text("Now write it as it should be.").await;
    browser.into_maths("Line 2 as it should be").await;
    browser.keys(&format!("x={solution}")).await;
    browser.see_text(FINISHED).await;
    fits(&browser).await;
    browser.close().await;
}

#[tokio::test]
async fn the_empty_cells_of_a_table_are_filled() {
    let program = Program::start().await;
    let rung = rung_of("fdp.convert", |rung| matches!(rung.kind(), AnswerKind::Table { .. }));
    let cells: Vec<String> = rung.answer.value.split(" and ").map(str::to_owned).collect();
    let browser = seated(&program, rung).await;
    browser.fill("Cell: decimal", &cells[0]).await;
    browser.see_text("One cell is still empty.").await;
    browser.fill("Cell: percent", "1%").await;
    browser.see_text("Look at cell 2 again.").await;
    browser.fill("Cell: percent", &cells[1]).await;
    browser.see_text(FINISHED).await;
    fits(&browser).await;
    browser.close().await;
}

#[tokio::test]
async fn a_sentence_answers_a_story() {
    let program = Program::start().await;
    let rung =
        rung_of("add-sub.column", |rung| rung.story && rung.answer.value.parse::<i64>().is_ok());
    let (value, sentence) = (rung.answer.value.clone(), rung.answer.text.clone());
    let browser = seated(&program, rung).await;
    // It is typed into the field for mathematics, as everything is.
    browser.into_maths("Line 1").await;
    browser.keys(&sentence.replace(&value, "9999")).await;
    browser.see(SAVED).await;
    browser.ask("void (document.querySelector('math-field').value = '')").await;
    browser.keys("\u{e014}").await;
    browser.keys(&sentence).await;
    browser.see_text(FINISHED).await;
    fits(&browser).await;
    browser.close().await;
}

#[tokio::test]
async fn solutions_are_set_on_a_number_line() {
    let program = Program::start().await;
    let rung = rung_of("inequalities.linear", |rung| {
        matches!(rung.kind(), AnswerKind::Interval { reach: Some(_), .. })
            && rung.answer.value.starts_with("x ≤")
    });
    let end: i32 = rung.answer.value["x ≤".len()..].trim().parse().expect("a whole number");
    let browser = seated(&program, rung).await;
    tap(&browser, "Right").await;
    browser.see_text("Bring the end to its place").await;
    // Where nobody has put it, it is no answer.
    browser.until("!document.querySelector('.place .verdict')").await;
    browser.run("document.querySelector('.place .end').focus()").await;
    let arrow = if end < 0 { "\u{e012}" } else { "\u{e014}" };
    browser.keys(&arrow.repeat(end.unsigned_abs() as usize)).await;
    browser.until(&format!("document.querySelector('.place .end').ariaValueNow == '{end}'")).await;
    browser.see_text("Not yet.").await;
    tap(&browser, "Left").await;
    browser.until("document.querySelector('.place.drops_solution') !== null").await;
    // The disc is filled where the end belongs to it.
    tap(&browser, &format!("{} belongs to it", end.to_string().replace('-', "−"))).await;
    browser.see_text(FINISHED).await;
    browser.see(SAVED).await;
    fits(&browser).await;
    // It is there again after the page was loaded anew.
    browser.run("location.reload()").await;
    browser.see_text(FINISHED).await;
    browser.until(&format!("document.querySelector('.place .end').ariaValueNow == '{end}'")).await;
    browser.close().await;
}
