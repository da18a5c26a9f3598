//! Headless Chromium, with things found by what a person sees.

use crate::PATIENCE_S;
use std::io::{BufRead, BufReader, Lines};
use std::mem::ManuallyDrop;
use std::process::{Child, ChildStdout, Command, Stdio};
use std::time::{Duration, Instant};
use thirtyfour::prelude::*;

/// A browser with one window.
pub struct Browser {
    /// Never dropped: its farewell would block the test's only thread for two minutes after a panic.
    driver: ManuallyDrop<WebDriver>,
    process: Child,
}

/// Text as an XPath literal; none of ours holds both kinds of quotes.
fn quoted(text: &str) -> String {
    if text.contains('\'') { format!("\"{text}\"") } else { format!("'{text}'") }
}

/// A driver of the browser with the port that it listens on and what else it prints; `None` when it ended before.
fn driver() -> Option<(Child, u16, Lines<BufReader<ChildStdout>>)> {
    let mut process = Command::new("chromedriver")
        .arg("--port=0")
        .stdout(Stdio::piped())
        .spawn()
        .expect("chromedriver is installed (./test does so)");
    let mut lines = BufReader::new(process.stdout.take().expect("a pipe")).lines();
    let port = lines.by_ref().map_while(Result::ok).find_map(|line| {
        line.split_once("successfully on port ")?.1.trim_end_matches('.').parse().ok()
    });
    match port {
        Some(port) => Some((process, port, lines)),
        None => {
            // It has ended: nothing is left of it but its entry.
            process.wait().expect("ended");
            None
        }
    }
}

/// Where the innermost element is that holds `text`.
fn innermost(text: &str) -> String {
    let literal = quoted(text);
    format!(
        "//*[contains(normalize-space(.), {literal})][not(./*[contains(normalize-space(.), {literal})])]"
    )
}

impl Browser {
    /// Opens a browser of that size in pixels.
    ///
    /// # Panics
    /// When Chromium or its driver is not installed.
    pub async fn open(width: u32, height: u32) -> Self {
        Self::start(&format!("--window-size={width},{height}"), |_| {}).await
    }

    /// Opens a browser on a system that is set to dark.
    pub async fn open_dark() -> Self {
        Self::start("--window-size=1280,900", |wanted| {
            wanted.add_arg("--blink-settings=preferredColorScheme=0").expect("an argument");
        })
        .await
    }

    /// Opens a browser as narrow as a small phone, which a window cannot be.
    pub async fn open_phone() -> Self {
        let metrics = serde_json::json!({ "width": 360, "height": 740, "pixelRatio": 1 });
        let device = serde_json::json!({ "deviceMetrics": metrics });
        Self::start("--window-size=500,900", |wanted| {
            wanted.add_experimental_option("mobileEmulation", device).expect("an option");
        })
        .await
    }

    async fn start(size: &str, more: impl FnOnce(&mut thirtyfour::ChromeCapabilities)) -> Self {
        // Two drivers that start at once may reach for the same free port: one of them ends, and is started again.
        let (process, port, lines) = (0..5).find_map(|_| driver()).expect("a driver with a port");
        std::thread::spawn(move || lines.for_each(drop));
        let mut wanted = DesiredCapabilities::chrome();
        for argument in [
            "--headless=new",
            // Chromium refuses its sandbox to root, and so does a container.
            "--no-sandbox",
            "--disable-gpu",
            "--disable-dev-shm-usage",
            "--disable-background-networking",
            "--disable-component-update",
            "--disable-sync",
            "--no-first-run",
        ] {
            wanted.add_arg(argument).expect("an argument");
        }
        wanted.add_arg(size).expect("an argument");
        more(&mut wanted);
        let driver = WebDriver::new(&format!("http://127.0.0.1:{port}"), wanted).await;
        Self { driver: ManuallyDrop::new(driver.expect("a browser")), process }
    }

    /// Goes to an address.
    pub async fn go(&self, url: &str) {
        self.driver.goto(url).await.expect("a page");
    }

    /// The first thing that `xpath` finds, as soon as it is there and shown.
    ///
    /// # Panics
    /// When it does not come.
    pub async fn see(&self, xpath: &str) -> WebElement {
        let since = Instant::now();
        let patience = Duration::from_secs(PATIENCE_S);
        while let Some(left) = patience.checked_sub(since.elapsed()) {
            let query = self.driver.query(By::XPath(xpath)).and_displayed();
            // What is looked at may go just then: another look finds what came in its place.
            if let Ok(found) = query.wait(left, Duration::from_millis(60)).first().await {
                return found;
            }
        }
        panic!("not seen: {xpath}\nthe page says: {}", self.text().await);
    }

    /// Waits until the page shows `text` somewhere.
    pub async fn see_text(&self, text: &str) -> WebElement {
        self.see(&innermost(text)).await
    }

    /// Presses the button or follows the link with that name.
    pub async fn press(&self, name: &str) {
        let literal = quoted(name);
        let xpath = format!(
            "//button[normalize-space(.) = {literal} or @aria-label = {literal}] | //a[normalize-space(.) = {literal}]"
        );
        // What moves while a dialog opens is pressed as soon as it stands.
        for _ in 0..40 {
            if self.see(&xpath).await.click().await.is_ok() {
                return;
            }
            tokio::time::sleep(Duration::from_millis(100)).await;
        }
        panic!("cannot be pressed: {name}");
    }

    /// Takes an entry of the menu or list that has just been opened, as soon as it has come to rest.
    pub async fn take(&self, entry: &str) {
        self.click(&format!("//li[normalize-space(.) = '{entry}']")).await;
    }

    /// Waits until nothing on the page moves any more.
    pub async fn at_rest(&self) {
        self.until(
            "document.getAnimations().every((a) => a.playState !== 'running' || \
             a.effect?.getComputedTiming().iterations === Infinity)",
        )
        .await;
    }

    /// Clicks what `xpath` finds as soon as it can be reached: what opens or shuts may lie above it for a moment.
    pub async fn click(&self, xpath: &str) {
        for _ in 0..40 {
            self.at_rest().await;
            if self.see(xpath).await.click().await.is_ok() {
                return;
            }
            tokio::time::sleep(Duration::from_millis(100)).await;
        }
        panic!("cannot be clicked: {xpath}");
    }

    /// Clicks the innermost element that holds `text`.
    pub async fn click_text(&self, text: &str) {
        self.click(&innermost(text)).await;
    }

    /// Types into the field with that label, in place of what stands there.
    pub async fn fill(&self, label: &str, text: &str) {
        let literal = quoted(label);
        let xpath = format!(
            "//label[normalize-space(.) = {literal}]//*[self::input or self::textarea] | //*[self::input or self::textarea][@aria-label = {literal}]"
        );
        let field = self.see(&xpath).await;
        field.click().await.expect("a field");
        self.select_all().await;
        field.send_keys(text).await.expect("typed");
    }

    /// Puts the cursor behind what stands in the mathematics field with that label.
    pub async fn into_maths(&self, label: &str) {
        let field = self.see(&format!("//math-field[@aria-label = {}]", quoted(label))).await;
        field.click().await.expect("a field");
        self.until("document.activeElement && document.activeElement.tagName === 'MATH-FIELD'")
            .await;
        // A click lands where it lands; the end key goes to the end.
        self.keys("\u{e010}").await;
        self.until(
            "(() => { const m = document.activeElement; return m.position === m.lastOffset })()",
        )
        .await;
    }

    /// Waits until a dialog or a screen that has opened has put the cursor into its field by itself.
    pub async fn led_into_field(&self) {
        self.until(
            "document.getAnimations().every((a) => a.playState !== 'running') \
             && document.activeElement && document.activeElement.tagName === 'INPUT'",
        )
        .await;
    }

    /// Types keys where the cursor is.
    pub async fn keys(&self, keys: &str) {
        // The pointer's part of the chain would wait a quarter of a second for each key.
        let chain = self.driver.action_chain_with_delay(None, Some(Duration::ZERO));
        chain.send_keys(keys).perform().await.expect("typed");
    }

    /// Presses a key while Control is held.
    pub async fn with_control(&self, key: &str) {
        let chain = self.driver.action_chain_with_delay(None, Some(Duration::ZERO));
        let chain = chain.key_down(Key::Control).send_keys(key).key_up(Key::Control);
        chain.perform().await.expect("pressed");
    }

    /// Selects all that stands in the field that has the cursor.
    pub async fn select_all(&self) {
        self.with_control("a").await;
    }

    /// Waits until a condition in the page's own words is true.
    ///
    /// # Panics
    /// When it does not become true.
    pub async fn until(&self, condition: &str) {
        for _ in 0..PATIENCE_S * 20 {
            if self.ask(condition).await == serde_json::Value::Bool(true) {
                return;
            }
            tokio::time::sleep(Duration::from_millis(50)).await;
        }
        panic!("never true: {condition}\nthe page says: {}", self.text().await);
    }

    /// What an expression of the page is worth now.
    pub async fn ask(&self, expression: &str) -> serde_json::Value {
        let script = format!("return ({expression})");
        self.driver.execute(script, Vec::new()).await.expect("an answer").json().clone()
    }

    /// Runs a script in the page.
    pub async fn run(&self, script: &str) {
        self.driver.execute(script, Vec::new()).await.expect("run");
    }

    /// What a promise of the page comes to.
    pub async fn ask_later(&self, promise: &str) -> serde_json::Value {
        let script = format!(
            "const done = arguments[arguments.length - 1]; ({promise}).then(done, (e) => done(String(e)))"
        );
        self.driver.execute_async(script, Vec::new()).await.expect("an answer").json().clone()
    }

    /// Signs the teacher of the demo world in and waits for her shelf.
    pub async fn sign_in(&self, url: &str) {
        self.go(url).await;
        self.fill("Sign-in name", "orla").await;
        self.fill("Password", "clover-and-heather").await;
        self.press("Sign in").await;
        self.see_text("Your shelf").await;
    }

    /// The words of a PDF that the signed-in browser fetches.
    ///
    /// # Panics
    /// When there is none, or when it is no PDF.
    pub async fn words_of_pdf(&self, path: &str) -> String {
        let fetched = self
            .ask_later(&format!(
                "fetch('{path}').then((r) => r.ok ? r.arrayBuffer() : Promise.reject(r.status))\
                 .then((b) => Array.from(new Uint8Array(b)))"
            ))
            .await;
        let bytes: Vec<u8> = serde_json::from_value(fetched).expect("a file");
        assert!(bytes.starts_with(b"%PDF"));
        // Two tests of one program may print at the same time.
        let file =
            std::env::temp_dir().join(format!("honey-ladder-{}.pdf", self.driver.session_id()));
        std::fs::write(&file, bytes).expect("written");
        // In the order of writing, where the parts of a fraction follow each other.
        let output = Command::new("pdftotext").arg("-raw").arg(&file).arg("-").output();
        std::fs::remove_file(&file).expect("removed");
        String::from_utf8(output.expect("pdftotext is installed").stdout).expect("text")
    }

    /// The first element that `css` finds, shown or not: a file is chosen in a field that browsers draw themselves.
    pub async fn find(&self, css: &str) -> WebElement {
        let query = self.driver.query(By::Css(css));
        query
            .wait(Duration::from_secs(PATIENCE_S), Duration::from_millis(60))
            .first()
            .await
            .expect("there")
    }

    /// Everything the page shows.
    pub async fn text(&self) -> String {
        self.ask("document.body.innerText").await.as_str().unwrap_or_default().to_owned()
    }

    /// How many things `css` finds.
    pub async fn count(&self, css: &str) -> u64 {
        let expression = format!("document.querySelectorAll({}).length", serde_json::json!(css));
        self.ask(&expression).await.as_u64().expect("a number")
    }

    /// Closes the browser.
    pub async fn close(self) {
        // It may be gone already.
        let _ = WebDriver::clone(&self.driver).quit().await;
    }
}

impl Drop for Browser {
    fn drop(&mut self) {
        let _ = self.process.kill();
        let _ = self.process.wait();
    }
}
