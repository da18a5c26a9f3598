//! The Step Desk as students use it: whole desks, line by line, with what each line is told.

use algebra::Role;
use algebra::write::latex_line;
use desk::{DeskLine, Judgement, MOST_LINES, judge};
use skills::SKILLS;
use skills::ladder::{Ladder, LadderOrder, Rung};
use teaching::verdict::VerdictWord;

fn ladder(skill: &str, seed: u64) -> Ladder {
    let skills = vec![skill.to_owned()];
    let order = LadderOrder {
        skills,
        grip: 4,
        tilt: 4,
        climb: 4,
        seed,
        method: None,
        ..LadderOrder::default()
    };
    Ladder::make(&order).expect("made")
}

fn posed(line: &str, unknown: &str, story: bool) -> Rung {
    let mut rung = ladder("equations.linear", 1).rungs.remove(0);
    (rung.line, rung.unknown, rung.story) = (line.into(), unknown.into(), story);
    rung
}

fn plain(text: &str) -> DeskLine {
    DeskLine { text: text.into(), latex: false }
}

/// A word for each verdict, short enough for a table.
fn word(word: VerdictWord) -> &'static str {
    match word {
        VerdictWord::Given => "given",
        VerdictWord::Holds => "holds",
        VerdictWord::HoldsSoFar => "so far",
        VerdictWord::Breaks => "breaks",
        VerdictWord::DropsSolution => "drops",
        VerdictWord::AddsSolution => "adds",
        VerdictWord::CantTell => "can't tell",
        VerdictWord::CantRead => "can't read",
    }
}

#[track_caller]
fn desk(rung: &Rung, lines: &[(&str, &str)], finished: bool) -> Judgement {
    let written: Vec<DeskLine> = lines.iter().map(|(text, _)| plain(text)).collect();
    let found = judge(rung, &written);
    for ((text, expected), line) in lines.iter().zip(&found.lines) {
        assert_eq!(word(line.verdict.word), *expected, "{text} under {}", rung.line);
    }
    assert_eq!(found.finished, finished, "{} finished", rung.line);
    found
}

#[test]
#[rustfmt::skip]
fn proportions_are_worked_in_any_fair_way() {
    let rung = posed("n/6 = 10/15", "n", false);
    desk(&rung, &[("15n = 60", "holds"), ("n = 4", "holds")], true);
    desk(&rung, &[("n/6 = 2/3", "holds"), ("n = 6 × 2/3", "holds"), ("n = 4", "holds")], true);
    desk(&rung, &[("n = 6 × 10/15", "holds"), ("n = 60/15", "holds"), ("n = 4", "holds")], true);
    desk(&rung, &[("15/6 = 10/n", "holds"), ("n = 4", "holds")], true);
    desk(&rung, &[("10n = 90", "breaks"), ("n = 9", "holds")], false);
    desk(&rung, &[("n = 60/15", "holds")], false);
    desk(&rung, &[("4", "holds")], true);
    desk(&rung, &[("5", "breaks")], false);
    desk(&rung, &[("n = 4.0", "holds")], true);
}

#[test]
#[rustfmt::skip]
fn equations_are_worked_in_any_fair_way() {
    let rung = posed("3(2x-5) = 27", "x", false);
    desk(&rung, &[("2x - 5 = 9", "holds"), ("2x = 14", "holds"), ("x = 7", "holds")], true);
    desk(&rung, &[("6x - 15 = 27", "holds"), ("6x = 42", "holds"), ("x = 42/6", "holds"), ("x = 7", "holds")], true);
    desk(&rung, &[("6x - 15 = 27", "holds"), ("27 + 15 = 42", "holds"), ("6x = 42", "holds"), ("x = 7", "holds")], true);
    desk(&rung, &[("6x - 15 = 27", "holds"), ("27 + 15 = 41", "breaks"), ("6x = 42", "holds"), ("x = 7", "holds")], false);
    desk(&rung, &[("7 = x", "holds")], false);
    desk(&rung, &[("x = 7", "holds")], true);
    desk(&rung, &[("x = 7 or x = 8", "adds")], false);
    desk(&rung, &[("no solution", "drops")], false);
    desk(&rung, &[("6x = 42", "holds"), ("x = ", "can't read")], false);
    desk(&rung, &[("6x = 42", "holds"), ("so x = 7", "holds")], true);
    desk(&rung, &[("y = 7", "breaks")], false);
}

#[test]
#[rustfmt::skip]
fn equations_without_one_solution_end_in_words() {
    desk(&posed("2(x+1) = 2x + 5", "x", false), &[("2 = 5", "holds"), ("no solution", "holds")], true);
    desk(&posed("2(x+1) = 2x + 2", "x", false), &[("2x+2 = 2x+2", "holds"), ("all real numbers", "holds")], true);
    desk(&posed("2(x+1) = 2x + 2", "x", false), &[("x = 0", "breaks")], false);
}

#[test]
fn what_breaks_is_shown_by_a_value_and_never_tells_the_answer() {
    for seed in 0..40 {
        for skill in ["equations.linear", "ratio.missing-term"] {
            let asks = |rung: &&Rung| !rung.story && !rung.unknown.is_empty();
            for rung in ladder(skill, seed).rungs.iter().filter(asks) {
                let wrong: Vec<_> = rung.choices.iter().filter(|choice| !choice.right).collect();
                for choice in wrong {
                    let line = format!("{} = {}", rung.unknown, choice.text);
                    let found = judge(rung, &[plain(&line)]);
                    let told = &found.lines[0].verdict;
                    assert_eq!(told.word, VerdictWord::Breaks, "{line} for {}", rung.line);
                    assert!(!found.answered && !found.finished, "{line} for {}", rung.line);
                    assert!(!told.says.is_empty());
                    let answer = format!("{} = {}", rung.unknown, rung.answer.value);
                    assert!(
                        !told.says.replace('$', "").contains(&answer)
                            || answer.len() < line.len() && line.starts_with(&answer),
                        "{} tells {answer}",
                        told.says
                    );
                }
            }
        }
    }
}

/// The lines of a key as a student would write them: without the problem, words only where they are the answer.
fn as_written(rung: &Rung) -> Vec<DeskLine> {
    let is_words = rung.answer.is_words();
    let sets_up = rung.story && !rung.unknown.is_empty();
    let lines = rung
        .working
        .iter()
        .filter(|line| line.latex.is_some() && (sets_up || line.role != Role::Starts));
    let mut lines: Vec<DeskLine> = lines
        .map(|line| DeskLine { text: line.latex.clone().unwrap_or_default(), latex: true })
        .collect();
    if is_words {
        lines.push(plain(&rung.answer.value));
    }
    lines
}

#[test]
fn the_proved_working_of_every_rung_holds_on_the_desk() {
    let mut wrong = Vec::new();
    for skill in SKILLS {
        for seed in 0..12 {
            for rung in &ladder(skill.card().id, seed).rungs {
                let lines = as_written(rung);
                let found = judge(rung, &lines);
                let broken = lines.iter().zip(&found.lines);
                // The first equation of one's own cannot be compared with words.
                let own = rung.answer.is_words();
                let broken = broken.filter(|(_, told)| match told.verdict.word {
                    VerdictWord::Holds => false,
                    VerdictWord::CantTell => !own,
                    _ => true,
                });
                let broken: Vec<_> =
                    broken.map(|(line, told)| (&line.text, told.verdict.word)).collect();
                if !broken.is_empty() || !found.finished {
                    wrong.push(format!("{} {}: {broken:?}", rung.skill, rung.prompt));
                }
            }
        }
    }
    let few: Vec<_> = wrong.iter().take(40).collect();
    assert!(wrong.is_empty(), "{} rungs: {few:#?}", wrong.len());
}

#[test]
fn what_is_read_is_shown_back_and_reads_the_same_again() {
    let rung = posed("n/6 = 10/15", "n", false);
    for text in ["15n = 60", "n/6 = 2/3", "n = 4", "2(n + 1) = 10", "n = 4 or n = 5", "-n = -4"] {
        let found = judge(&rung, &[plain(text)]);
        let line = algebra::read_line(text).expect(text).line;
        assert_eq!(found.lines[0].reading, latex_line(&line), "{text}");
        let again = DeskLine { text: found.lines[0].reading.clone(), latex: true };
        let second = judge(&rung, &[again]);
        assert_eq!(second.lines[0].verdict, found.lines[0].verdict, "{text}");
        assert_eq!(second.lines[0].plain, found.lines[0].plain, "{text}");
        assert!(!found.lines[0].speech.contains(['=', '/', '\\']), "{}", found.lines[0].speech);
    }
}

#[test]
#[rustfmt::skip]
fn a_line_that_cannot_be_read_says_where_and_how_to_mend_it() {
    let rung = posed("3x = 12", "x", false);
    for (text, place, mended) in [
        ("3(x",        (1, 2), Some("3(x)")),
        ("x = 4 +",    (6, 7), None),
        ("½ × (2x = 4",(4, 5), Some("½ × (2x) = 4")),
        ("x # 4",      (2, 3), Some("x  4")),
        ("1.2.3 = x",  (0, 5), None),
    ] {
        let found = judge(&rung, &[plain(text)]);
        let error = found.lines[0].error.as_ref().unwrap_or_else(|| panic!("{text} was read"));
        assert_eq!((error.start, error.end), place, "{text}");
        assert_eq!(error.mended.as_deref(), mended, "{text}");
        assert!(found.lines[0].verdict.says.ends_with('.'), "{text}");
        if let Some(mended) = mended {
            assert!(algebra::read_line(mended).is_ok(), "{mended} reads");
        }
    }
}

#[test]
fn a_line_that_cannot_be_read_does_not_spoil_the_next() {
    let rung = posed("3(2x-5) = 27", "x", false);
    let lines = [("6x - 15 = 27", "holds"), ("6x = (42", "can't read"), ("x = 7", "holds")];
    desk(&rung, &lines, false);
}

#[test]
fn a_desk_has_room_for_so_many_lines() {
    let rung = posed("3x = 12", "x", false);
    let lines = vec![plain("3x = 12"); MOST_LINES + 20];
    assert_eq!(judge(&rung, &lines).lines.len(), MOST_LINES);
    assert!(judge(&rung, &[]).lines.is_empty());
    assert!(!judge(&rung, &[]).finished);
}

#[test]
fn hostile_desks_are_answered() {
    let rung = posed("3x = 12", "x", false);
    let deep = "(".repeat(3_000);
    let powers = "9^".repeat(500) + "9";
    let many = vec!["x"; 900].join("^");
    for text in [
        deep.as_str(),
        &powers,
        &many,
        "x = 10^10^10",
        "x = 1/(1-1)",
        "((((",
        "=",
        "==",
        "\u{200b}",
        "x = 0.(3)",
        "𝟛x = 12",
        "x\u{301} = 4",
        "🐝 = 4",
        "\\input{x}",
        "x = 4 or",
        "∈",
    ] {
        let found = judge(&rung, &[plain(text), DeskLine { text: text.into(), latex: true }]);
        assert_eq!(found.lines.len(), 2, "{text}");
        assert!(!found.finished, "{text}");
    }
}

#[test]
fn a_broken_rung_is_judged_without_a_panic() {
    let found = judge(&posed("3x = (", "x", false), &[plain("x = 4")]);
    assert!(!found.finished);
}

#[test]
#[rustfmt::skip]
fn a_solution_that_squaring_brought_in_is_checked_at_the_end() {
    let rung = posed("sqrt(x+6) = x", "x", false);
    let lines = [("x + 6 = x^2", "holds"), ("x^2 - x - 6 = 0", "holds"), ("(x-3)(x+2) = 0", "holds")];
    let with = |rest: &[(&'static str, &'static str)]| [&lines[..], rest].concat();
    // Left in at the end, the working does not hold; left out, it does.
    desk(&rung, &with(&[("x = 3 or x = -2", "adds")]), false);
    desk(&rung, &with(&[("x = 3 or x = -2", "holds"), ("x = 3", "holds")]), true);
    desk(&rung, &with(&[("x = 3", "holds")]), true);
    desk(&rung, &with(&[("x = -2", "drops")]), false);
    // A check that does not come out is no mistake.
    let found = desk(&rung, &with(&[("x = 3 or x = -2", "holds"), ("sqrt(-2+6) = -2", "can't tell"), ("sqrt(3+6) = 3", "holds"), ("x = 3", "holds")]), true);
    assert_eq!(found.lines[4].verdict.says, "This does not come out, so $x = -2$ does not fit the problem. Leave it out.");
    let roles: Vec<&str> = found.lines.iter().map(|line| line.role.map_or("", Role::name)).collect();
    assert_eq!(roles, ["may_add", "follows", "follows", "concludes", "checks", "checks", "rejects"]);
}

#[test]
#[rustfmt::skip]
fn definitions_are_kept_for_the_lines_below() {
    let rung = posed("x^4 - 5x^2 + 4 = 0", "x", false);
    let found = desk(&rung, &[
        ("let u = x^2", "holds"),
        ("u^2 - 5u + 4 = 0", "holds"),
        ("(u-1)(u-4) = 0", "holds"),
        ("u = 1 or u = 4", "holds"),
        ("x^2 = 1 or x^2 = 4", "holds"),
        ("x = 1 or x = -1 or x = 2 or x = -2", "holds"),
    ], true);
    assert_eq!(found.lines[0].role, Some(Role::Defines));
    desk(&rung, &[("let x = 2", "breaks")], false);
    desk(&rung, &[("let u = x^2", "holds"), ("u^2 - 5u - 4 = 0", "breaks")], false);
}

#[test]
#[rustfmt::skip]
fn a_system_stays_while_lines_follow_from_it() {
    let rung = posed("x + y = 5; x - y = 1", "x", false);
    desk(&rung, &[("2x = 6", "holds"), ("x = 3", "holds"), ("3 + y = 5", "holds"), ("y = 2", "holds"), ("x = 3, y = 2", "holds")], true);
    desk(&rung, &[("2x = 4", "breaks")], false);
    desk(&rung, &[("y = 5 - x", "holds"), ("x - (5 - x) = 1", "holds"), ("x = 3", "holds"), ("(3, 2)", "holds")], true);
}

#[test]
#[rustfmt::skip]
fn a_condition_on_the_way_is_carried_to_the_end() {
    let rung = posed("x", "x", false);
    desk(&rung, &[("(sqrt x)^2", "holds"), ("|x|", "breaks")], false);
    let rung = posed("3(x+4)", "x", false);
    desk(&rung, &[("= 3x + 12", "holds")], false);
    desk(&rung, &[("3(x+4) = 3x + 12", "holds"), ("= 12 + 3x", "holds")], false);
}

#[test]
#[rustfmt::skip]
fn rounding_is_compared_with_the_exact_line() {
    let rung = posed("8x = 83", "x", false);
    desk(&rung, &[("x = 83/8", "holds"), ("x ≈ 10.4", "holds")], false);
    desk(&rung, &[("x = 10.375", "holds"), ("x ≈ 10.38", "holds"), ("x ≈ 10.4", "holds"), ("x = 10.4", "holds")], false);
    desk(&rung, &[("x = 83/8", "holds"), ("x ≈ 10.3", "breaks")], false);
}

#[test]
fn hints_grow_from_a_nudge_to_the_next_step() {
    let rung = posed("3(2x-5) = 27", "x", false);
    let found = desk(&rung, &[("6x - 5 = 27", "breaks")], false);
    assert_eq!(
        found.lines[0].hints,
        [
            "The right side is as it was. Look at the left side again.",
            "The number before the bracket multiplies everything inside it, not just the first term.",
            "From the line above you could: multiply out the brackets.",
        ]
    );
    assert!(found.next.is_empty());
    let found = desk(&rung, &[("6x - 15 = 27", "holds")], false);
    let [kind, step, line] = &found.next[..] else { panic!("{:?}", found.next) };
    assert_eq!(kind, "What stands beside the letter? Undo it on both sides.");
    assert_eq!(step, "Add $15$ to both sides.");
    assert_eq!(line, "Add $15$ to both sides: $6x = 42$");
    let quiet = found.with_hints(0);
    assert!(quiet.next.is_empty() && quiet.lines.iter().all(|line| line.hints.is_empty()));
}
