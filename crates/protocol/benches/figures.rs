//! The figures of speed, as one table: `cargo bench -p protocol --bench figures`.
//!
//! It measures on one core the tables of verdicts and of workings that the tests keep (`tests/tables`,
//! `tests/problems/boards.rs`), which cover every kind of line, and a list of hostile ones. A harness of its own, because the figures asked for are those
//! of single questions (the 50th and 99th of a hundred, and the worst), which are lost in averages.

#[path = "../tests/tables/mod.rs"]
mod all;
#[path = "../tests/problems/asked.rs"]
mod asked;
#[path = "../tests/problems/boards.rs"]
mod boards;

use algebra::{
    Assumptions, Line, Options, Setting, compare_given, judge_alone_given, read_line_with,
};
use all::TABLES;
use protocol::check::{CheckRequest, answer};
use protocol::solve::{self, SolveRequest};
use skills::{Ladder, LadderOrder};
use std::hint::black_box;
use std::time::{Duration, Instant};

/// The allocator of the program.
#[global_allocator]
static ALLOCATOR: mimalloc::MiMalloc = mimalloc::MiMalloc;

/// How often each question is asked; the quickest time counts, since all else is the machine's.
const TIMES: usize = 5;

/// How many ladders are made.
const LADDERS: u64 = 21;

fn questions() -> Vec<CheckRequest> {
    let rows = TABLES.iter().flat_map(|(_, rows)| rows.iter().copied());
    rows.map(|row| asked::pair(row.split_once(" => ").map_or(row, |(asked, _)| asked))).collect()
}

/// Lines that try to be expensive.
fn hostile() -> Vec<CheckRequest> {
    let nested = format!("{}x{}", "(".repeat(58), ")".repeat(58));
    let roots = format!("{}x{}", "sqrt(".repeat(50), ")".repeat(50));
    let sum = (1..400).map(|n| format!("x^{}", n % 60)).collect::<Vec<_>>().join("+");
    let letters = ('a'..='z').filter(|c| *c != 'e').map(String::from).collect::<Vec<_>>().join("+");
    let long = "x+".repeat(50_000) + "x";
    [
        ("9^9^9^9", "1"),
        ("2^1000000", "0"),
        ("2^(2^(2^(2^x)))", "x"),
        ("(x+1)^64", "(x+2)^64"),
        ("(a+b+c+d+f)^20", "1"),
        ("(x+y+z)^30 = 1", "x = 1"),
        ("x^24 - x^23 + x^7 - 3x + 1 = 0", "x = 1"),
        ("x^60 = x + 1", "x = 1"),
        (nested.as_str(), "x"),
        (roots.as_str(), "x"),
        (sum.as_str(), "x"),
        (&format!("({letters})^3"), "a"),
        (long.as_str(), "x"),
        ("sin(sin(sin(sin(sin(sin x)))))", "x"),
        ("sin(1000000000000 x)", "sin x"),
        ("sin 64x = cos 63x", "x = 1"),
        ("170!", "170! + 1"),
        ("sqrt(sqrt(2)+sqrt(3)+sqrt(5)+sqrt(7)+sqrt(11)+sqrt(13))", "1"),
        ("root(20, x) + root(19, x) = root(18, x)", "x = 1"),
        ("1/(1/(1/(1/(1/(1/(1/(1/(1/x))))))))", "1/x"),
        ("ln(ln(ln(ln(ln x)))) = 1", "x = 1"),
        ("2^x + 3^x + 5^x + 7^x = 1", "x = 1"),
        ("|x-1|+|x-2|+|x-3|+|x-4|+|x-5|+|x-6| = 9", "x = 2"),
        ("sqrt x + sqrt(x+1) + sqrt(x+2) + sqrt(x+3) = 9", "x = 2"),
        ("0.12345678901234567890123456789012345678901234567890 x = 1", "x = 8"),
    ]
    .into_iter()
    .map(|(from, to)| CheckRequest {
        from: from.to_owned(),
        to: Some(to.to_owned()),
        ..CheckRequest::default()
    })
    .collect()
}

/// Reads both lines and compares them, without naming moves or slips.
fn check(question: &CheckRequest) {
    let options = Options { quantities: question.quantities, ..Options::default() };
    let read = |text: &str| read_line_with(text, options).map(|reading| reading.line);
    let Ok(from) = read(&question.from) else { return };
    let Ok(to) = question.to.as_deref().map(read).transpose() else { return };
    let assumed = Assumptions::read(question.assume.iter().map(String::as_str)).unwrap_or_default();
    let setting = Setting { unknown: question.unknown.clone(), assumed };
    let meant = |line: Line| {
        if question.angle.is_some() { algebra::degrees::in_radians(&line) } else { line }
    };
    match to {
        Some(to) => drop(black_box(compare_given(&meant(from), &meant(to), &setting))),
        None => drop(black_box(judge_alone_given(&meant(from), &setting))),
    }
}

fn named(question: &CheckRequest) {
    drop(black_box(answer(question)));
}

fn read(question: &CheckRequest) {
    let options = Options { quantities: question.quantities, ..Options::default() };
    for text in std::iter::once(&question.from).chain(&question.to) {
        drop(black_box(read_line_with(text, options)));
    }
}

/// Every working of the table, its lines proved and its reasons said.
fn workings() -> Vec<SolveRequest> {
    let asked = |row: &&str| row.split_once(" => ").map_or(*row, |(asked, _)| asked).to_owned();
    boards::ROWS.iter().map(|row| asked::request(&asked(row))).collect()
}

fn measured<T>(name: &str, questions: &[T], shown: fn(&T) -> String, work: fn(&T)) {
    if std::env::var("ONLY").is_ok_and(|only| only != name) {
        return;
    }
    let mut slow: Vec<(Duration, &T)> = questions
        .iter()
        .map(|question| {
            let one = || {
                let start = Instant::now();
                work(question);
                start.elapsed()
            };
            ((0..TIMES).map(|_| one()).min().unwrap_or_default(), question)
        })
        .collect();
    slow.sort_by_key(|(time, _)| *time);
    let total: Duration = slow.iter().map(|(time, _)| *time).sum();
    let at = |part: usize| slow[(slow.len() - 1) * part / 100].0;
    let (worst, question) = slow[slow.len() - 1];
    let hardest: String = shown(question).chars().take(40).collect();
    println!(
        "| {name} | {} | {:.0} | {:.1} µs | {:.1} µs | {:.1} ms (`{hardest}`) |",
        questions.len(),
        questions.len() as f64 / total.as_secs_f64(),
        at(50).as_secs_f64() * 1e6,
        at(99).as_secs_f64() * 1e6,
        worst.as_secs_f64() * 1e3,
    );
    if let Some(many) = std::env::var("SLOWEST").ok().and_then(|many| many.parse().ok()) {
        for (time, question) in slow.iter().rev().take(many) {
            let shown: String = shown(question).chars().take(90).collect();
            println!("  {:>9.1} µs  {shown}", time.as_secs_f64() * 1e6);
        }
    }
}

fn main() {
    let (all, hard) = (questions(), hostile());
    println!("| what | questions | a second | 50th | 99th | worst |");
    println!("|---|---|---|---|---|---|");
    let lines = |q: &CheckRequest| format!("{} -> {}", q.from, q.to.as_deref().unwrap_or_default());
    measured("reading both lines", &all, lines, read);
    measured("reading and verdict", &all, lines, check);
    measured("verdict with move and slip named", &all, lines, named);
    measured("hostile lines", &hard, lines, check);
    let problem = |request: &SolveRequest| request.problem.clone();
    let work = |request: &SolveRequest| drop(black_box(solve::answer(request)));
    measured("working with reasons, every line proved", &workings(), problem, work);
    if std::env::var_os("ONLY").is_none() {
        ladders();
    }
}

/// How long ladders of a hundred rungs take, their full keys proved: the median of as many seeds as there are tries.
fn ladders() {
    let skills: Vec<String> =
        skills::SKILLS.iter().map(|skill| skill.card().id.to_owned()).collect();
    let mut times: Vec<Duration> = (0..LADDERS)
        .map(|seed| {
            let skills = skills.clone();
            let order = LadderOrder {
                skills,
                grip: 40,
                tilt: 30,
                climb: 30,
                seed,
                ..LadderOrder::default()
            };
            let began = Instant::now();
            let made = Ladder::make(&order).expect("every skill has so many problems");
            assert_eq!(made.rungs.len(), 100);
            began.elapsed()
        })
        .collect();
    times.sort_unstable();
    let worst = times.last().copied().unwrap_or_default();
    println!();
    println!("| what | median | worst |");
    println!("|---|---|---|");
    println!(
        "| a ladder of 100 rungs from all {} skills, its full key proved | {:.0} ms | {:.0} ms |",
        skills.len(),
        times[times.len() / 2].as_secs_f64() * 1e3,
        worst.as_secs_f64() * 1e3
    );
}
