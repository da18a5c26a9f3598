//! What a teacher holds in the hand: every problem and every answer is on the paper, as words that can be
//! searched, copied and read aloud.

use paper::sheets::ladder::{choices, key, sheet};
use skills::ladder::{Ladder, LadderOrder};
use std::io::Write;
use std::process::{Command, Stdio};
use teaching::skill::Stage;

fn ladder(seed: u64, each: usize, method: Option<&str>) -> Ladder {
    let skills = ["ratio.missing-term", "equations.linear"].map(str::to_owned).to_vec();
    let method = method.and_then(skills::ids::method_named);
    let order = LadderOrder {
        skills,
        grip: each,
        tilt: each,
        climb: each,
        seed,
        method,
        ..LadderOrder::default()
    };
    Ladder::make(&order).expect("made")
}

/// What `tool` prints about a PDF that it is fed.
fn asked(tool: &str, arguments: &[&str], pdf: &paper::Pdf) -> String {
    let mut child = Command::new(tool)
        .args(arguments)
        .stdin(Stdio::piped())
        .stdout(Stdio::piped())
        .spawn()
        .expect("poppler-utils is installed (./test does so)");
    let mut stdin = child.stdin.take().expect("a pipe");
    let bytes = pdf.bytes.clone();
    // On a thread of its own: the tool may answer before it has read everything.
    let feeding = std::thread::spawn(move || drop(stdin.write_all(&bytes)));
    let output = child.wait_with_output().expect("it ends");
    feeding.join().expect("fed");
    String::from_utf8(output.stdout).expect("text")
}

fn words(pdf: &paper::Pdf) -> String {
    asked("pdftotext", &["-layout", "-", "-"], pdf).split_whitespace().collect()
}

fn squeezed(text: &str) -> String {
    text.split_whitespace().collect()
}

fn pages(pdf: &paper::Pdf) -> usize {
    asked("pdfinfo", &["-"], pdf)
        .lines()
        .find_map(|line| line.strip_prefix("Pages:"))
        .and_then(|count| count.trim().parse().ok())
        .expect("a number of pages")
}

#[test]
fn every_problem_is_on_the_sheet_and_no_answer() {
    for seed in [3, 7, 11] {
        let ladder = ladder(seed, 4, None);
        let printed = words(&sheet("Climbing", &ladder).expect("typeset"));
        for rung in &ladder.rungs {
            for part in rung.prompt.split('$').step_by(2) {
                assert!(printed.contains(&squeezed(part)), "{part} on seed {seed}");
            }
            if rung.story {
                assert!(!printed.contains(&squeezed(&rung.answer.text)), "{}", rung.answer.text);
            }
        }
        assert!(!printed.contains("Answer"));
        assert!(printed.contains(&format!("sheet{seed},catalogue{}", ladder.version)));
    }
}

#[test]
fn every_answer_is_in_the_key_and_every_line_in_the_full_key() {
    let ladder = ladder(5, 3, None);
    let short = words(&key("Climbing", &ladder, false).expect("typeset"));
    let full = words(&key("Climbing", &ladder, true).expect("typeset"));
    assert_eq!(short.matches("Answer:").count(), ladder.rungs.len());
    assert_eq!(full.matches("Answer:").count(), ladder.rungs.len());
    for rung in &ladder.rungs {
        if rung.story {
            assert!(short.contains(&squeezed(&rung.answer.text)), "{}", rung.answer.text);
        }
        for line in &rung.working {
            // A long reason is broken over two lines, beside those of the mathematics.
            let reason = line.reason.split('$').next().unwrap_or_default();
            let start: String = reason.chars().take(24).collect();
            assert!(full.contains(&squeezed(&start)), "{reason}");
            if line.latex.is_none() {
                let sentence = line.math.split('$').next().unwrap_or_default();
                assert!(full.contains(&squeezed(sentence)), "{sentence}");
            }
        }
    }
}

#[test]
fn the_stages_stand_in_their_order() {
    let printed = words(&sheet("Sheet", &ladder(2, 2, None)).expect("typeset"));
    let place = |name: &str| printed.find(name).unwrap_or_else(|| panic!("no {name}"));
    // The title has none of their names in it.
    assert!(place("Grip") < place("Tilt") && place("Tilt") < place("Climb"));
    let only_grip = Ladder {
        rungs: ladder(2, 2, None).rungs.into_iter().filter(|r| r.stage == Stage::Grip).collect(),
        ..ladder(2, 2, None)
    };
    let printed = words(&sheet("Start", &only_grip).expect("typeset"));
    assert!(printed.contains("Grip") && !printed.contains("Tilt"));
}

#[test]
fn the_key_follows_the_method_of_the_class() {
    let cross = words(&key("Key", &ladder(4, 2, Some("cross-multiply")), true).expect("typeset"));
    let scale = words(&key("Key", &ladder(4, 2, Some("scale-factor")), true).expect("typeset"));
    assert!(cross.contains("Cross-multiply") && !cross.contains("scalefactor"));
    assert!(scale.contains("scalefactor") && !scale.contains("Cross-multiply"));
}

#[test]
fn a_long_ladder_takes_more_pages_and_every_page_says_which_it_is() {
    let short = sheet("Short", &ladder(9, 1, None)).expect("typeset");
    let long = sheet("Long", &ladder(9, 16, None)).expect("typeset");
    assert!(pages(&short) <= 2, "{}", pages(&short));
    assert!(pages(&long) > pages(&short));
    let printed = words(&long);
    for page in 1..=pages(&long) {
        assert!(printed.contains(&format!("{page}/{}", pages(&long))), "page {page}");
    }
}

#[test]
fn the_file_is_tagged_titled_and_in_english() {
    for made in [
        sheet("Ratios & proportions", &ladder(1, 2, None)),
        key("Ratios & proportions", &ladder(1, 2, None), true),
    ] {
        let told = asked("pdfinfo", &["-"], &made.expect("typeset"));
        assert!(told.contains("Ratios & proportions"), "{told}");
        assert!(told.lines().any(|l| l.starts_with("Tagged:") && l.ends_with("yes")), "{told}");
        assert!(told.lines().any(|l| l.starts_with("Page size:") && l.contains("A4")), "{told}");
        assert!(told.lines().any(|l| l.starts_with("JavaScript:") && l.ends_with("no")), "{told}");
    }
}

#[test]
fn no_character_is_without_a_glyph() {
    let mut ladder = ladder(1, 1, None);
    ladder.rungs[0].prompt = "½ of 12 × 3 ÷ 4 − 1 ≤ 7, “so” it’s 5 °C or 3 €".into();
    let printed = words(&sheet("Glyphs", &ladder).expect("typeset"));
    assert!(printed.contains("½of12×3÷4−1≤7,“so”it’s5°Cor3€"), "{printed}");
}

#[test]
fn every_skill_is_printed_with_its_answers_and_units() {
    let skills: Vec<String> = skills::SKILLS.iter().map(|s| s.card().id.to_owned()).collect();
    let each = skills.len();
    let order = LadderOrder {
        skills,
        grip: each,
        tilt: each,
        climb: each,
        seed: 6,
        method: None,
        ..LadderOrder::default()
    };
    let ladder = Ladder::make(&order).expect("made");
    let printed = words(&key("Every skill", &ladder, true).expect("typeset"));
    assert_eq!(printed.matches("Answer:").count(), ladder.rungs.len());
    for rung in &ladder.rungs {
        // A page may end within a prompt.
        for word in rung.prompt.split('$').step_by(2).flat_map(str::split_whitespace) {
            assert!(printed.contains(word), "{word} of {}", rung.prompt);
        }
        // Words and units stand upright, as they are written.
        if rung.answer.is_words() || rung.skill == "measure.convert" {
            assert!(printed.contains(&squeezed(&rung.answer.text)), "{}", rung.answer.text);
        }
    }
    assert!(!printed.contains('\u{fffd}'));
}

#[test]
fn choices_stand_below_their_problem_and_the_right_one_is_among_them() {
    let skills = ["pythagoras", "percent.part", "number.of-the-day"].map(str::to_owned).to_vec();
    let order =
        LadderOrder { skills, grip: 3, tilt: 3, climb: 3, seed: 6, ..LadderOrder::default() };
    let ladder = Ladder::make(&order).expect("made");
    let (open, printed) = (
        words(&sheet("Pick one", &ladder).expect("typeset")),
        words(&choices("Pick one", &ladder).expect("typeset")),
    );
    let all: usize = ladder.rungs.iter().map(|rung| rung.choices.len()).sum();
    assert!(all > 20);
    for rung in ladder.rungs.iter().filter(|rung| rung.answer.is_words()) {
        for choice in &rung.choices {
            assert!(printed.contains(&squeezed(&choice.text)), "{}", choice.text);
        }
    }
    assert!(printed.len() > open.len() + all, "every choice is printed");
}
