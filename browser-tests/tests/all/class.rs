//! A teacher of their own and a class: an account, a list of names, an assignment that goes and comes back, a forgotten
//! password.

use browser_tests::{Browser, Program};

/// A spreadsheet of twelve students, as a school's office gives it out.
fn list_of_twelve() -> std::path::PathBuf {
    let names = ["Ada", "Bo", "Cy", "Dee", "Eli", "Fay", "Gus", "Hal", "Ida", "Jo", "Kit", "Lou"];
    let mut book = rust_xlsxwriter::Workbook::new();
    let sheet = book.add_worksheet();
    let rows = [("Last name", "First name")].into_iter().chain(names.map(|name| ("Lark", name)));
    for (row, (last, first)) in rows.enumerate() {
        let row = u32::try_from(row).expect("small");
        sheet.write(row, 0, last).expect("written");
        sheet.write(row, 1, first).expect("written");
    }
    let path = std::env::temp_dir().join(format!("class-{}.xlsx", std::process::id()));
    book.save(&path).expect("a file");
    path
}

#[tokio::test]
async fn a_new_teacher_makes_an_account_and_a_class_of_twelve() {
    let program = Program::start().await;
    let browser = Browser::open(1280, 900).await;
    browser.go(&program.url).await;
    browser.click_text("Make an account").await;
    browser.fill("Your name", "Nia Moor").await;
    browser.fill("Sign-in name or e-mail", "nia").await;
    browser.fill("Password", "password12").await;
    browser.press("Make my account").await;
    browser.see_text("one of those that are tried first").await;
    let good = "four plain words";
    browser.fill("Password", good).await;
    browser.press("Make my account").await;
    browser.see_text("What would you like to do?").await;
    browser.click_text("Classes").await;
    browser.see_text("No class yet.").await;
    browser.fill("Name of the class", "7b").await;
    browser.press("New class").await;
    browser.see_text("No students yet.").await;
    let list = list_of_twelve();
    let field = browser.find("input[type=file]").await;
    field.send_keys(list.to_str().expect("a path")).await.expect("chosen");
    browser.press("Take 12 students in").await;
    browser.until("document.querySelectorAll('.students .code').length === 12").await;
    std::fs::remove_file(list).expect("removed");
    // The cards have a code each, and say where to go.
    browser.click_text("Print the cards").await;
    browser.until("document.querySelectorAll('.cards li').length === 12").await;
    browser.see_text("/class/").await;
    // A sheet to print: from the shelf four taps, and the page is there. Every tap is counted in the page itself.
    browser.click_text("Honey Ladder").await;
    browser.see_text("What would you like to do?").await;
    browser.run("window.taps = 0; addEventListener('click', () => (window.taps += 1), true)").await;
    browser.click("//main//button[.//strong[. = 'Print a sheet now']]").await;
    browser.click("//button[@aria-label = 'Grade 8']").await;
    browser.press("The theorem of Pythagoras").await;
    browser.see_text("Print the sheet").await;
    let sheet = browser.ask("document.querySelector('a.print').getAttribute('href')").await;
    assert_eq!(browser.ask("window.taps").await, 3, "and the fourth one prints");
    let words = browser.words_of_pdf(sheet.as_str().expect("an address")).await;
    assert!(words.contains("Pythagoras") && words.contains("10"), "{words}");
    browser.close().await;
}

#[tokio::test]
async fn an_assignment_goes_out_and_comes_back() {
    let program = Program::start().await;
    let db = &program.scratch.db;
    let (orla, ladder) = program.demo_ladder().await;
    let class = store::class::create(db, orla, "Oak set", 7).await.expect("kept");
    let names = ["Ada", "Bo"].map(str::to_owned);
    store::class::take_in(db, orla, class, &names).await.expect("kept");
    let ada = store::class::students(db, orla, class).await.expect("students").remove(0);
    let page = store::class::find(db, orla, class).await.expect("kept").link;

    let teacher = Browser::open(1280, 900).await;
    teacher.sign_in(&program.url).await;
    teacher.go(&format!("{}/ladders/{}", program.url, ladder.id)).await;
    teacher.press("Give to students").await;
    teacher.click("//*[@aria-label = 'To whom?']").await;
    teacher.click("//li[normalize-space(.) = 'Oak set']").await;
    teacher.press("Give it").await;
    teacher.see_text("0 of 2 handed in").await;

    let phone = Browser::open_phone().await;
    phone.go(&format!("{}/class/{page}", program.url)).await;
    phone.until("document.querySelector('form input') !== null").await;
    phone.find("form input").await.send_keys(&ada.code).await.expect("typed");
    phone.press("Go in").await;
    phone.see_text("Hello, Ada").await;
    phone.see_text("Open").await;
    phone.click_text(&ladder.title).await;
    phone.press("Rung 2, Grip").await;
    phone.into_maths("Line 1").await;
    phone.keys("x=1000").await;
    phone.see_text("it fits this line, but not the line above").await;
    phone.see("//*[@role = 'status'][normalize-space(.) = 'Saved']").await;
    phone.until("document.documentElement.scrollWidth <= window.innerWidth").await;
    phone.press("Hand in").await;
    phone
        .click("//div[contains(@class, 'el-message-box')]//button[normalize-space(.) = 'Hand in']")
        .await;
    phone.see_text("Your teacher reads it now.").await;

    teacher.run("location.reload()").await;
    teacher.see_text("1 of 2 handed in").await;
    teacher.press("Ada, Rung 2: a line breaks").await;
    teacher.see("//h2[normalize-space(.) = 'Ada, Rung 2']").await;
    teacher.press("Look again").await;
    teacher.until("document.querySelector('.cell .mark') !== null").await;
    teacher.fill("A remark", "Which number did you divide by?").await;
    teacher.keys("\u{e004}").await; // tab: it is kept when the field is left
    teacher.press("Give all back that were handed in").await;
    teacher.see_text("given back").await;

    phone.run("location.reload()").await;
    phone.see_text("Your teacher has given this back.").await;
    phone.press("Rung 2, Grip").await;
    phone.see_text("Which number did you divide by?").await;
    phone.click_text("See how it can be done").await;
    phone.until("document.querySelectorAll('.key .working li').length > 1").await;
    phone.click_text("Your page").await;
    phone.see_text("Given back").await;
    phone.close().await;
    teacher.close().await;
}

#[tokio::test]
async fn a_ladder_is_given_by_its_link_alone() {
    let program = Program::start().await;
    let db = &program.scratch.db;
    let (_, ladder) = program.demo_ladder().await;
    let teacher = Browser::open(1280, 900).await;
    teacher.sign_in(&program.url).await;
    teacher.go(&format!("{}/ladders/{}", program.url, ladder.id)).await;
    teacher.press("Give to students").await;
    teacher.click("//*[@aria-label = 'To whom?']").await;
    teacher.click("//li[normalize-space(.) = 'Anyone with the link']").await;
    teacher.see_text("They type a first name and begin.").await;
    teacher.press("Give it").await;
    teacher.see_text("0 of 0 handed in").await;
    let link = teacher.ask("document.querySelector('.link a').getAttribute('href')").await;
    let link = format!("{}{}", program.url, link.as_str().expect("an address"));

    let phone = Browser::open_phone().await;
    phone.go(&link).await;
    phone.fill("First name", "Mia").await;
    phone.press("Sit down").await;
    phone.press("Rung 2, Grip").await;
    phone.into_maths("Line 1").await;
    phone.keys("x=1000").await;
    phone.see("//*[@role = 'status'][normalize-space(.) = 'Saved']").await;
    let code = phone.ask("document.querySelector('.who strong').textContent").await;
    let class = store::class::of_teacher(db, program.demo_ladder().await.0).await.expect("classes");
    assert!(class.iter().any(|one| one.is_open && one.title == ladder.title && one.students == 1));
    phone.press("Hand in").await;
    phone
        .click("//div[contains(@class, 'el-message-box')]//button[normalize-space(.) = 'Hand in']")
        .await;
    phone.see_text("Your teacher reads it now.").await;

    // On another device the name is taken, and the code brings the same desk back.
    let laptop = Browser::open(1280, 900).await;
    laptop.go(&link).await;
    laptop.fill("First name", "mia").await;
    laptop.press("Sit down").await;
    laptop.see_text("Somebody with this name is here already.").await;
    let field = laptop.find("input[name=code]").await;
    field.send_keys(code.as_str().expect("a code")).await.expect("typed");
    laptop.press("Sit down").await;
    laptop.see_text("Your teacher reads it now.").await;
    teacher.run("location.reload()").await;
    teacher.see_text("1 of 1 handed in").await;
    for browser in [phone, laptop, teacher] {
        browser.close().await;
    }
}

#[tokio::test]
async fn a_forgotten_password_is_set_anew_by_the_outbox() {
    let program = Program::start().await;
    let browser = Browser::open(1280, 900).await;
    browser.go(&program.url).await;
    browser.click_text("Forgot your password?").await;
    browser.fill("Sign-in name or e-mail", "orla").await;
    browser.press("Send me a link").await;
    browser.see_text("a message is on its way").await;
    browser.sign_in(&program.url).await;
    browser.click_text("Orla Fenwick").await;
    browser.click_text("Look after this installation").await;
    browser.click("//details[contains(@class, 'message')]/summary").await;
    browser.see_text("somebody asked for a new password").await;
    let link = browser
        .ask("document.querySelector('.message pre').innerText.match(/http\\S+\\/password\\/\\w+/)[0]")
        .await;
    browser.go(link.as_str().expect("a link")).await;
    let label = "New password";
    browser.fill(label, "heather-and-clover").await;
    browser.press("Set it and sign in").await;
    browser.see_text("Your shelf").await;
    browser.press("Sign out").await;
    browser.fill("Sign-in name", "orla").await;
    browser.fill("Password", "clover-and-heather").await;
    browser.press("Sign in").await;
    browser.see_text("do not go together").await;
    browser.fill("Password", "heather-and-clover").await;
    browser.press("Sign in").await;
    browser.see_text("Your shelf").await;
    browser.close().await;
}

#[tokio::test]
async fn results_lead_to_the_next_ladder_which_is_given_in_a_tap() {
    let program = Program::start().await;
    let db = &program.scratch.db;
    let orla = store::teacher::by_sign_in(db, "orla").await.expect("the demo teacher").id;
    let class = store::class::of_teacher(db, orla).await.expect("classes").remove(0);
    let browser = Browser::open(1280, 900).await;
    browser.sign_in(&program.url).await;
    browser.go(&format!("{}/classes/{}", program.url, class.id)).await;
    browser.click_text("Results").await;
    browser.until("document.querySelectorAll('.results tbody tr').length === 8").await;
    // The numbers stand in the cells: nobody has to tell them by their shade.
    browser
        .until("/^\\d+\\/\\d+$/.test(document.querySelector('.results tfoot td').innerText)")
        .await;
    browser.see_text("Slips that were seen").await;
    browser
        .click("//label[contains(@class, 'el-radio-button')][normalize-space(.) = 'Rung']")
        .await;
    browser.see("//thead//th[contains(normalize-space(.), 'Rung 1')]").await;
    browser.press("Make it").await;
    browser.see("//*[contains(@class, 'why')]").await;
    browser.until("document.querySelectorAll('.next .rung').length >= 4").await;
    browser.press("Give it").await;
    browser.see_text("0 of 8 handed in").await;
    browser.see_text("Next for 7b").await;
    browser.until("document.documentElement.scrollWidth <= window.innerWidth").await;
    browser.close().await;
}

#[tokio::test]
async fn a_colleague_copies_by_link_and_another_edits_together_with_the_owner() {
    let program = Program::start().await;
    let db = &program.scratch.db;
    let hash = server::password::hash("heather-and-clover").expect("hashed");
    for name in ["bo", "cy"] {
        store::teacher::create(db, name, name, &hash).await.expect("kept");
    }
    let owner = Browser::open(1280, 900).await;
    owner.sign_in(&program.url).await;
    owner.click("//a[contains(@class, 'lesson')]").await;
    owner.see("//button[normalize-space(.) = 'Share']").await;
    let title = owner.ask("document.querySelector('h1').innerText").await;
    let title = title.as_str().expect("a title").to_owned();
    let lesson = owner.ask("location.pathname").await;
    let lesson = lesson.as_str().expect("a path").to_owned();
    for kind in ["To copy", "To edit it together"] {
        owner.press("Share").await;
        owner.click(&format!("//label[contains(@class, 'el-radio')][contains(., '{kind}')]")).await;
        owner.press("Make the link").await;
        let short = if kind == "To copy" { "to copy" } else { "to edit together" };
        owner.see(&format!("//li//strong[. = '{short}']")).await;
        owner.keys("\u{e00c}").await; // escape
        owner.until("!document.querySelector('.el-overlay:not([style*=\"none\"])')").await;
    }
    let id: u64 = lesson.rsplit('/').next().and_then(|id| id.parse().ok()).expect("an id");
    let orla = store::teacher::by_sign_in(db, "orla").await.expect("the demo teacher").id;
    let what = store::share::Shared::Lesson(store::LessonId(id));
    let links = store::share::of(db, orla, what).await.expect("two links");
    let page = |at: usize| format!("{}/shared/{}", program.url, links[at].link);

    // Without an account it can be read, on a phone too.
    let phone = Browser::open_phone().await;
    phone.go(&page(0)).await;
    phone.see(&format!("//h1[. = '{title}']")).await;
    phone.until("document.querySelectorAll('.slide').length > 3").await;
    phone.until("document.documentElement.scrollWidth <= window.innerWidth").await;
    phone.click_text("Sign in to take a copy").await;
    phone.fill("Sign-in name", "bo").await;
    phone.fill("Password", "heather-and-clover").await;
    phone.press("Sign in").await;
    phone.press("Take a copy").await;
    phone.see_text("Copied from Orla Fenwick").await;
    phone.close().await;

    let second = Browser::open(1280, 900).await;
    second.go(&format!("{}/sign-in?to={}", program.url, &page(1)[program.url.len()..])).await;
    second.fill("Sign-in name", "cy").await;
    second.fill("Password", "heather-and-clover").await;
    second.press("Sign in").await;
    second.press("Edit it together").await;
    second.see_text("you edit it together").await;
    // What one of them saves, the other finds; who saves on top of it is told.
    second.click("//button[contains(., 'Plan')]").await;
    second.until("document.querySelector('main textarea, main input') !== null").await;
    let kept = store::lesson::find(db, orla, store::LessonId(id)).await.expect("there");
    let mut changed = kept.lesson.clone();
    changed.title = "Changed by its owner".into();
    let revision = kept.revision;
    store::lesson::save(db, orla, store::LessonId(id), revision, &changed).await.expect("saved");
    second.click("//button[contains(., 'Slides')]").await;
    second.press("Add a slide").await;
    second.see_text("changed in another window").await;
    second.close().await;
    owner.close().await;
}
