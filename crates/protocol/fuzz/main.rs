//! Feeds changed lines to the reader or the checker for as long as it is told, and prints every input on which a
//! target fails, panics or takes too long:
//!
//! ```text
//! cargo run --release -p protocol --example fuzz -- reading 300
//! cargo run --release -p protocol --example fuzz -- checking 300 7
//! ```
//! With `LAST_INPUT=FILE` each input is written there before it is tried, so that one that ends the program is known.
//! The numbers are seconds and, if wanted, a seed. What it finds is mended, and goes into `tests/corpus`.

#[path = "targets.rs"]
mod targets;

use rand_chacha::ChaCha8Rng;
use rand_chacha::rand_core::{RngCore, SeedableRng};
use std::panic::catch_unwind;
use std::time::{Duration, Instant};

/// Longest time for one input.
const LONGEST: Duration = Duration::from_millis(250);

/// Pieces that lines are made of.
const PIECES: &[&str] = &[
    " plus ",
    " out of ",
    " is ",
    " divided by ",
    " increased by ",
    "% off ",
    "the sum of ",
    " and ",
    "mean of ",
    "half of ",
    " squared",
    " base 2",
    " (1 dp)",
    " to 3 s.f.",
    " to the nearest 10",
    "f(",
    "f^-1(",
    "f'(x)",
    "fg(x)",
    "a_n",
    "a_{n+1}",
    "T10",
    "d/dx ",
    "dy/dx",
    "\\frac{d}{dx}",
    "□",
    "___",
    "[ ]",
    "…",
    "...",
    "0.3̇",
    "0.\\overline{18}",
    " recurring",
    " r ",
    " remainder ",
    " mod ",
    "2,5",
    "1.250,50",
    "1,00,000",
    "3.2E5",
    "0x2F",
    "Area = ",
    "speed",
    "AB",
    "∠ABC",
    "△",
    "Step 3: ",
    "Ans: ",
    "✓",
    "(divide by 3)",
    "| +3",
    "£",
    "35p",
    "2:30 pm",
    "ⁿ⁺¹",
    "ˣ",
    "x2",
    "Σ",
    "\\sum_{k=1}^{5}",
    "\\begin{pmatrix}",
    "\\\\",
    "\\end{pmatrix}",
    "&",
    "\n",
    "~",
    "=>",
    "::",
    "8C2",
    "⌊",
    "⌉",
    "(2, 3)",
    "{2, -3}",
    "{x | ",
    "]-2, 3]",
    "x",
    "y",
    "n",
    "2",
    "3",
    "0",
    "1/2",
    "-",
    "+",
    "×",
    "/",
    "^",
    "(",
    ")",
    "[",
    "]",
    "{",
    "}",
    "=",
    "<",
    "≤",
    "≈",
    "√",
    "sqrt(",
    "|",
    "sin ",
    "cos(",
    "log_2 ",
    "ln(",
    "e^",
    "π",
    "%",
    "!",
    "°",
    ":",
    ";",
    ",",
    " or ",
    " and ",
    "let u = ",
    " -> ",
    "\\frac{",
    "\\sqrt[3]{",
    "\\left(",
    "\\right)",
    "\\le ",
    "_",
    "±",
    "∓",
    "∞",
    "∈",
    "0.1(6)",
    "10^",
    "9^9^",
    "x^2",
    "\u{0}",
    "é",
    "½",
    "²",
    "₂",
    "no solution",
    "…",
    "$",
    "cm",
    "999999999999999999",
];

struct Dice(ChaCha8Rng);

impl Dice {
    fn below(&mut self, n: usize) -> usize {
        (self.0.next_u32() as usize) % n.max(1)
    }
}

/// An input made of another: pieces put in, taken out, doubled, or the end of a third put behind.
fn changed(dice: &mut Dice, seeds: &[String]) -> String {
    let mut signs: Vec<char> = seeds[dice.below(seeds.len())].chars().collect();
    for _ in 0..=dice.below(4) {
        let at = dice.below(signs.len() + 1);
        match dice.below(6) {
            0 | 1 => {
                let piece = PIECES[dice.below(PIECES.len())].chars();
                signs.splice(at..at, piece);
            }
            2 if !signs.is_empty() => {
                let end = (at + 1 + dice.below(4)).min(signs.len());
                signs.drain(at.min(end)..end);
            }
            3 => {
                let end = (at + dice.below(12)).min(signs.len());
                let again: Vec<char> = signs[at..end].to_vec();
                signs.splice(at..at, again);
            }
            4 => {
                let other: Vec<char> = seeds[dice.below(seeds.len())].chars().collect();
                let from = dice.below(other.len() + 1);
                signs.truncate(at);
                signs.extend(&other[from..]);
            }
            _ if signs.len() > 1 => {
                let other = dice.below(signs.len());
                let at = at.min(signs.len() - 1);
                signs.swap(at, other);
            }
            _ => {}
        }
        signs.truncate(400);
    }
    signs.into_iter().collect()
}

fn main() {
    let arguments: Vec<String> = std::env::args().skip(1).collect();
    let target: fn(&str) -> Result<(), String> = match arguments.first().map(String::as_str) {
        Some("reading") => targets::reading,
        Some("checking") => targets::checking,
        _ => {
            eprintln!("usage: fuzz reading|checking [seconds] [seed]");
            std::process::exit(2);
        }
    };
    let number = |at: usize, usual: u64| {
        arguments.get(at).and_then(|text| text.parse().ok()).unwrap_or(usual)
    };
    let (seconds, seed) = (number(1, 60), number(2, 1));
    let folder = std::path::Path::new(env!("CARGO_MANIFEST_DIR")).join("tests/corpus");
    let seeds: Vec<String> = std::fs::read_dir(folder)
        .expect("the corpus")
        .flat_map(|file| {
            let text = std::fs::read_to_string(file.expect("a file").path()).expect("text");
            text.lines().map(str::to_owned).collect::<Vec<_>>()
        })
        .collect();
    std::panic::set_hook(Box::new(|_| {}));
    let mut dice = Dice(ChaCha8Rng::seed_from_u64(seed));
    let (start, mut tried, mut failed) = (Instant::now(), 0u64, 0u64);
    let last = std::env::var_os("LAST_INPUT");
    let mut slowest = (Duration::ZERO, String::new());
    while start.elapsed() < Duration::from_secs(seconds) && failed < 40 {
        let input = changed(&mut dice, &seeds);
        // An input that ends the program is found in this file.
        if let Some(path) = &last {
            std::fs::write(path, &input).expect("the last input is kept");
        }
        let begun = Instant::now();
        let said = catch_unwind(|| target(&input)).unwrap_or_else(|_| Err("it panics".into()));
        let took = begun.elapsed();
        tried += 1;
        if took > slowest.0 {
            slowest = (took, input.clone());
        }
        // A check asks three questions.
        let limit = if arguments[0] == "checking" { 3 * LONGEST } else { LONGEST };
        if let Err(what) = said {
            failed += 1;
            println!("{what}: {input:?}");
        } else if took > limit {
            failed += 1;
            println!("{} ms: {input:?}", took.as_millis());
        }
    }
    println!("{tried} inputs, {failed} failed; the slowest took {:?}: {:?}", slowest.0, slowest.1);
    std::process::exit(i32::from(failed > 0));
}
