//! The mathematics field changes nothing of what is typed: each line is read as the plain text is read.

use algebra::write::text_line;
use algebra::{read_latex, read_line};
use browser_tests::{Browser, Program};

/// What people type, from the table of readings.
#[rustfmt::skip]
const TYPED: &[&str] = &[
    "2x", "3(x+1)", "(x+1)(x-2)", "2 sqrt 3 x", "xy", "a b c",
    "x²", "x^2", "x^(1/2)", "x^-3", "2^3^2", "-3^2", "x^2+1", "2^10", "x^2y",
    "sqrt(12)", "√12", "sqrt 12", "3√7", "cbrt(8)", "³√8", "∛8", "root(4, 81)", "√3x", "√12+1",
    "(-8)^(1/3)", "(-1)^(2/3)",
    "½", "3/4", "3 1/2", "3½", "1/2x", "x/2y", "1/2+3", "n/6 = 10/15", "(x+1)/2 = 3", "1/(2x)",
    "0.25", ".5", "1,200", "1 200", "0.1(6)", "3.2×10^5", "3.2e5",
    "35%", "15% of 60",
    "2×3", "2·3", "2*3", "6÷2", "5−3", "5–3", "x = ±3", "1∓2",
    "[2(x+1)]", "|x|", "abs(x)",
    "sin 30°", "sin^2 x", "sin 2x", "sin^-1(1/2)", "arctan 1", "log x", "log_2 8", "ln x", "e^x", "e^2x",
    "π", "pi", "θ", "x_1", "sec x", "cosec x", "csc x", "cot x", "arcsin x", "tan^-1 x",
    "5!", "C(8,2)", "max(2,3)", "hcf(12,18)", "gcd(12,18)", "lcm(4,6)",
    "1011_2", "2:3", "1:2:3", "a:b = c:d",
    "so x = 3", "∴ x=3", "(2) x = 3", "x = 3.",
    "3(2x - 5) = 27", "2 < x <= 5", "-2x < 6", "x >= 3",
    "x = 3 or x = -2", "x=3, y=2", "x+y=5; x-y=1", "no solution", "all real numbers",
    "52 - 17 = 35",
];

/// What is pasted: LaTeX as an equation editor writes it, and plain text.
const PASTED: &[&str] = &[
    "\\frac{1}{2}x+\\sqrt{3}",
    "\\frac12",
    "\\left(x-1\\right)^{2}",
    "x\\le 5",
    "\\sqrt[4]{81}",
    "3(2x − 5) = 27",
    "n/6 = 10/15",
];

fn reading(latex: &str) -> String {
    read_latex(latex).map_or_else(|error| format!("{error:?}"), |r| text_line(&r.line))
}

fn plain(text: &str) -> String {
    read_line(text).map_or_else(|error| format!("{error:?}"), |r| text_line(&r.line))
}

/// Empties the field; the arrow key ends whatever was being typed.
async fn empty(browser: &Browser) {
    browser.ask("void (document.querySelector('math-field').value = '')").await;
    browser.keys("\u{e014}").await;
}

#[tokio::test]
async fn what_is_typed_is_read_as_it_was_meant() {
    let program = Program::start().await;
    let (_, ladder) = program.demo_ladder().await;
    let browser = Browser::open(1000, 900).await;
    browser.go(&format!("{}/desk/{}", program.url, ladder.link)).await;
    browser.fill("First name", "Priya").await;
    browser.press("Sit down").await;
    browser.into_maths("Line 1").await;
    let mut wrong = Vec::new();
    for text in TYPED {
        empty(&browser).await;
        browser.keys(text).await;
        let latex = browser.ask("document.querySelector('math-field').value").await;
        let latex = latex.as_str().expect("LaTeX");
        if reading(latex) != plain(text) {
            wrong.push(format!(
                "typed {text}: {latex} reads {} not {}",
                reading(latex),
                plain(text)
            ));
        }
    }
    for text in PASTED {
        empty(&browser).await;
        let paste = format!(
            "(() => {{ const data = new DataTransfer(); data.setData('text/plain', {}); \
             document.querySelector('math-field').dispatchEvent(new ClipboardEvent('paste', \
             {{ clipboardData: data, bubbles: true, cancelable: true }})); return true }})()",
            serde_json::json!(text)
        );
        browser.ask(&paste).await;
        let latex = browser.ask("document.querySelector('math-field').value").await;
        let latex = latex.as_str().expect("LaTeX");
        if reading(latex) != plain(text) {
            wrong.push(format!(
                "pasted {text}: {latex} reads {} not {}",
                reading(latex),
                plain(text)
            ));
        }
    }
    assert!(wrong.is_empty(), "{} of them:\n{}", wrong.len(), wrong.join("\n"));
    browser.close().await;
}
