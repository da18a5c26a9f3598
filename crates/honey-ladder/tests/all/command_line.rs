//! The program as it is called from a shell.

use serde_json::Value;
use std::io::Write;
use std::process::{Command, Output, Stdio};

fn run(arguments: &[&str], input: &[u8]) -> Output {
    let mut child = Command::new(env!("CARGO_BIN_EXE_honey-ladder"))
        .args(arguments)
        .stdin(Stdio::piped())
        .stdout(Stdio::piped())
        .stderr(Stdio::piped())
        .spawn()
        .expect("the program starts");
    let mut stdin = child.stdin.take().expect("a pipe");
    let input = input.to_vec();
    // On a thread of its own: the program may answer before it has read everything.
    let writer = std::thread::spawn(move || drop(stdin.write_all(&input)));
    let output = child.wait_with_output().expect("it ends");
    writer.join().expect("written");
    output
}

fn text(bytes: &[u8]) -> &str {
    std::str::from_utf8(bytes).expect("text")
}

#[test]
fn check_answers_every_line_whatever_it_holds() {
    let long = "9".repeat(200_000);
    let questions = format!(
        "{}\n\n{}\n{}\n{}\n{}\n",
        r#"{"id":1,"from":"n/6 = 10/15","to":"15n = 60"}"#,
        r#"{"id":2,"from":"3(x+4)","to":"3x+4"}"#,
        r#"{"id":3,"from":"sin x","to":"cos x"}"#,
        "not json",
        long,
    );
    let output = run(&["check"], questions.as_bytes());
    assert_eq!(output.status.code(), Some(0));
    let answers: Vec<serde_json::Value> = text(&output.stdout)
        .lines()
        .map(|line| serde_json::from_str(line).expect("JSON"))
        .collect();
    let verdicts: Vec<_> = answers.iter().map(|a| a["verdict"].as_str().expect("a word")).collect();
    assert_eq!(
        verdicts,
        ["equivalent", "not_equivalent", "not_equivalent", "unreadable", "unreadable"]
    );
    assert_eq!(answers[1]["counterexample"]["at"]["x"], "0");
    assert_eq!(answers[1]["slip"]["id"], "second-term-not-multiplied");
    assert!(answers[4]["id"].is_null());
}

#[test]
fn desk_judges_whole_solutions_under_a_rung_of_a_ladder() {
    let made = run(
        &["ladder", "--skill", "percent.part", "--climb", "1", "--seed", "5", "--format", "json"],
        b"",
    );
    assert_eq!(made.status.code(), Some(0), "{}", text(&made.stderr));
    let ladder: Value = serde_json::from_slice(&made.stdout).expect("JSON");
    let rung = &ladder["rungs"][0];
    let (value, unit) =
        (rung["answer"]["value"].as_str().expect("a value"), rung["answer"]["unit"].as_str());
    let line = rung["line"].as_str().expect("a line");
    let right = format!("{line} = {value}");
    let told = format!("It is {value} {}.", unit.unwrap_or(""));
    let ask = |id: u32, lines: &[&str]| {
        serde_json::json!({"id": id, "rung": rung, "lines": lines}).to_string()
    };
    let questions = format!(
        "{}\n{}\nno json\n",
        ask(1, &[&right, &told]),
        ask(2, &["1 + 1 = 3", "I do not know"]),
    );
    let output = run(&["desk"], questions.as_bytes());
    let answers: Vec<Value> = text(&output.stdout)
        .lines()
        .map(|line| serde_json::from_str(line).expect("JSON"))
        .collect();
    assert_eq!(answers.len(), 3);
    assert_eq!(
        (&answers[0]["answered"], &answers[0]["finished"]),
        (&true.into(), &true.into()),
        "{}",
        answers[0]
    );
    assert_eq!(answers[0]["marks"]["value"], "right");
    assert_eq!(
        (&answers[1]["answered"], &answers[1]["lines"][0]["verdict"]),
        (&false.into(), &"breaks".into())
    );
    assert!(answers[2]["error"].is_string());
}

#[test]
fn solve_answers_every_line_with_its_working() {
    let tasks = format!(
        "{}\n{}\nnot json\n{}\n",
        r#"{"id":"a","task":"solve","problem":"5x + 3 = 2x + 12"}"#,
        r#"{"id":"b","problem":"tan x = x"}"#,
        "9".repeat(200_000),
    );
    let output = run(&["solve"], tasks.as_bytes());
    assert_eq!(output.status.code(), Some(0), "{}", text(&output.stderr));
    let answers: Vec<serde_json::Value> = text(&output.stdout)
        .lines()
        .map(|line| serde_json::from_str(line).expect("JSON"))
        .collect();
    assert_eq!(answers.len(), 4);
    assert_eq!((&answers[0]["id"], &answers[0]["answer"]), (&"a".into(), &"x = 3".into()));
    let working: Vec<_> =
        answers[0]["lines"].as_array().expect("lines").iter().map(|line| &line["math"]).collect();
    assert_eq!(working, ["5x + 3 = 2x + 12", "3x + 3 = 12", "3x = 9", "x = 3"]);
    for (answer, id) in answers[1..].iter().zip(["b".into(), Value::Null, Value::Null]) {
        assert_eq!(answer["id"], id);
        assert!(answer["error"]["says"].as_str().expect("a sentence").ends_with('.'), "{answer}");
    }
}

#[test]
fn a_ladder_is_the_same_every_time_and_its_key_is_proved() {
    let order =
        ["ladder", "--skill", "ratio.missing-term,equations.linear", "--grip", "2", "--tilt"];
    let order = [&order[..], &["2", "--climb", "2", "--seed", "9"]].concat();
    let first = run(&order, b"");
    assert_eq!(first.status.code(), Some(0), "{}", text(&first.stderr));
    assert_eq!(first.stdout, run(&order, b"").stdout);
    let ladder: serde_json::Value = serde_json::from_slice(&first.stdout).expect("JSON");
    let rungs = ladder["rungs"].as_array().expect("rungs");
    assert_eq!(rungs.len(), 6);
    for rung in rungs {
        assert!(!rung["prompt"].as_str().expect("words").is_empty());
        assert!(!rung["answer"]["text"].as_str().expect("words").is_empty());
        for line in rung["working"].as_array().expect("lines") {
            let verdict = line["verdict"].as_str().expect("a word");
            assert!(matches!(verdict, "given" | "holds"), "{line}");
        }
    }
}

#[test]
fn the_key_is_printed_with_its_answers() {
    let folder = std::env::temp_dir().join(format!("honey-ladder-{}", std::process::id()));
    std::fs::create_dir_all(&folder).expect("a folder");
    let file = folder.join("key.pdf");
    let path = file.to_str().expect("a path");
    let call = ["ladder", "--skill", "equations.linear", "--grip", "2", "--seed", "3", "--format"];
    let output = run(&[&call[..], &["full-key", "--out", path]].concat(), b"");
    assert_eq!(output.status.code(), Some(0), "{}", text(&output.stderr));
    let pdf = std::fs::read(&file).expect("a file");
    assert!(pdf.starts_with(b"%PDF"));
    std::fs::remove_dir_all(&folder).expect("removed");
}

#[test]
#[rustfmt::skip]
fn wrong_calls_end_with_two_and_say_how_it_is_called() {
    for (call, says) in [
        (&["ladder"][..],                                            "--skill"),
        (&["ladder", "--skill", "nothing", "--grip", "1"],           "There is no skill called “nothing”."),
        (&["ladder", "--skill", "equations.linear"],                 "at least one skill and one rung"),
        (&["ladder", "--skill", "equations.linear", "--grip", "-1"], "'-1'"),
        (&["ladder", "--skill", "equations.linear", "--grip", "1", "--seed", "9007199254740992"], "2^53"),
        (&["nonsense"],                                              "nonsense"),
        (&[],                                                        "Usage"),
    ] {
        let output = run(call, b"");
        assert_eq!(output.status.code(), Some(2), "{call:?}");
        let told = text(&output.stderr);
        assert!(told.contains(says), "{call:?}: {told}");
        assert!(told.contains("Usage"), "{call:?}: {told}");
    }
}

#[test]
fn every_skill_is_listed() {
    let output = run(&["ladder", "--list"], b"");
    let ids: Vec<String> = text(&output.stdout)
        .lines()
        .map(|line| serde_json::from_str::<serde_json::Value>(line).expect("JSON"))
        .map(|skill| skill["id"].as_str().expect("an id").to_owned())
        .collect();
    assert!(ids.contains(&"ratio.missing-term".to_owned()) && ids.len() >= 2, "{ids:?}");
}

#[test]
fn serving_without_a_database_or_a_front_end_says_what_to_do() {
    let database = "mysql://nobody@127.0.0.1:1/none";
    let missing = run(&["serve", "--database-url", database, "--web", "/nowhere"], b"");
    assert_eq!(missing.status.code(), Some(1));
    assert!(text(&missing.stderr).contains("--web"), "{}", text(&missing.stderr));
}
