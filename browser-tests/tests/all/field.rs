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

/// What a class types, from the table of what schools write, with units, words and sentences.
#[rustfmt::skip]
const IN_SCHOOL: &[&str] = &[
    "4 ÷ 1/2", "2/3 ÷ 4/5", "x/2 ÷ 3/4", "7 x 8", "9 X 6", "3.2 x 10^5", "2 . 3 . x", "17 ÷ 5 = 3 r 2",
    "17 ÷ 5 = 3 R 2", "17 ÷ 5 = 3 rem 2", "17 ÷ 5 = 3 remainder 2", "□ + 5 = 12", "? + 5 = 12",
    "___ + 5 = 12", "[ ] + 5 = 12", "□ = 7", "3 out of 5", "1 in 4", "2 to 3", "1 is to 2", "2:3::8:12",
    "25% off $80", "200 increased by 15%", "200 decreased by 15%", "0.333...", "0.18 recurring", "2,5 + 1,5",
    "1.250,50", "1,250", "f(x) = 2x + 1", "f(3) = 7", "f(a+1)", "fg(x)", "f^-1(x)", "a_n = 3n + 2",
    "a_5 = 17", "T(n) = 3n + 2", "a_1 = 5, a_{n+1} = a_n + 3", "Area = 6 × 4 = 24", "speed = 150 km ÷ 2.5 h",
    "distance = speed × time", "AB = 5", "∠ABC = 50°", "P(red) = 3/10", "Ans: x = 4", "Step 3: x = 4",
    "Solve 2x = 8", "Check: 3(4) = 12 ✓", "LHS = 2(3) + 4 = 10", "2x = 8 ⟹ x = 4", "x = 4 (divide by 3)",
    "x - 3 = 4 | +3", "Q3: x = 4", "3 plus 4", "7 minus 2", "3 times 4", "12 divided by 3", "x equals 4",
    "x squared", "x cubed + 1", "square root of 16", "half of 12", "double 6", "20 per cent of 50",
    "x is at least 5", "3 million", "10.4 (1 dp)", "10.44 = 10.4 (1 dp)", "10.4 to 3 s.f.", "46 000 (2 sf)",
    "350 to the nearest 10", "24 cm2", "24 cm^2", "24 cm²", "8 sq cm", "8 square centimetres", "75p", "£3.50",
    "35¢", "35 cents", "€4.20", "2:30 pm + 1 h 45 min", "14:20", "5'6\"", "π/4 rad", "10ˣ", "aⁿ⁺¹", "2ᵐ",
    "x2 + 3x", "{2, -3}", "{x | x > 4}", "[4, ∞[", "x => 4", "x₁ = 2, x₂ = -3", "8C2", "17 mod 5",
    "1 + 2 + ... + 100", "(2, 3)", "d/dx (x³)", "d/dx(x^3) = 3x^2", "dy/dx = 2x", "f'(x) = 2x", "36 jars",
    "It is 99 m².", "It is 99 m^2.", "The answer is 63.", "There are 36 jars on the stall.",
    "The area is 24 cm^2.", "A = 63", "A = 1/2 × 27 × 14", "sqrt(3x+4)", "sqrt(3x+4) = 5", "sqrt(x^2+1)",
    "2 h 15 min", "90 km/h", "0.05 m", "80 mm + 2 cm", "Yes, because 3 × 4 = 12", "No solution",
    "x = 3 and y = 2", "12 girls and 8 boys", "36 ÷ 4 = 9 so each gets 9", "mean = (3 + 5 + 8)/3", "6 r 3",
    "1/2 of 60", "3 hours 20 minutes", "3/4 = 75%", "2/5 = 0.4 = 40%", "not prime", "x > 2 or x < -1",
    "30 cm × 20 cm = 600 cm^2", "3^-2 = 1/9", "10^-3", "log_2(8) = 3", "sin(30°) = 1/2", "cos^-1(0.5) = 60°",
    "tan x = sin x / cos x", "(x+1)/(x-1)", "1/x + 1/y", "cost = 12", "The cost is £12.", "It's 12",
    "since x = 4", "balance = 5", "pi r^2", "cos x", "cosx", "sqrt(x+1)^2", "x² + 3", "x²³", "³√8",
    "36 jars.", "x = 4.", "1/2 h", "f''(x) = 2", "second row", "the mean is 7", "mean 7", "60 km/h",
    "3 m/s × 4 s = 12 m", "(3 + 5 + 8)/3 = 16/3", "5x/2", "12 ÷ 4 = 3 remainder 0", "£2.50 + 35p",
    "total = £20 - £12.60 = £7.40", "6 boxes × 12 = 72 eggs", "area of triangle = 1/2 × 6 × 4 = 12 cm²",
    "8 packets, 3 left over", "1/4 + 1/2 = 3/4", "no, because 17 × 3 = 51",
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
    read_latex(latex).map_or_else(|error| format!("{:?}", error.kind), |r| text_line(&r.line))
}

fn plain(text: &str) -> String {
    read_line(text).map_or_else(|error| format!("{:?}", error.kind), |r| text_line(&r.line))
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
    for &text in TYPED.iter().chain(IN_SCHOOL) {
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
