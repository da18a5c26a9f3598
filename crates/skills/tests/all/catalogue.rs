//! The catalogue from outside: its page in the documents, and one sheet of every skill as it was looked at. With
//! `HONEY_LADDER_BLESS=1` both are written down anew, to be read before they are committed.

use algebra::Role;
use skills::SKILLS;
use skills::{Ladder, LadderOrder};
use std::fmt::Write as _;
use std::path::{Path, PathBuf};
use teaching::skill::{Skill, Stage, Strand};

fn root() -> PathBuf {
    Path::new(env!("CARGO_MANIFEST_DIR")).join("../..")
}

#[track_caller]
fn same(path: &Path, now: &str) {
    if std::env::var_os("HONEY_LADDER_BLESS").is_some() {
        std::fs::create_dir_all(path.parent().expect("a folder")).expect("the folder is made");
        std::fs::write(path, now).expect("the file is written");
        return;
    }
    let kept = std::fs::read_to_string(path).unwrap_or_default();
    assert!(kept == now, "{} is not what the catalogue says now", path.display());
}

fn strand(strand: Strand) -> &'static str {
    match strand {
        Strand::Number => "Number",
        Strand::FractionsRatio => "Fractions, ratio, percent",
        Strand::Algebra => "Algebra and functions",
        Strand::Geometry => "Measure and geometry",
    }
}

fn grades((low, high): (u8, u8)) -> String {
    let name = |grade: u8| if grade == 0 { "K".to_owned() } else { grade.to_string() };
    if low == high { name(low) } else { format!("{} to {}", name(low), name(high)) }
}

#[test]
fn the_page_of_the_skills_is_the_catalogue() {
    let mut page = String::from(
        "# The skills\n\nMade from the catalogue by a test; do not edit it by hand.\n",
    );
    for heading in [Strand::Number, Strand::FractionsRatio, Strand::Algebra, Strand::Geometry] {
        let skills = SKILLS.iter().map(|skill| (skill, skill.card()));
        writeln!(page, "\n## {}\n\n| id | grades | title | objective | methods | slips |\n|---|---|---|---|---|---|", strand(heading)).expect("a string");
        for (skill, card) in skills.filter(|(_, card)| card.strand == heading) {
            let methods: Vec<&str> = card.methods.iter().map(|method| method.title).collect();
            let slips: Vec<&str> = skill.slips().iter().map(|slip| slip.id().as_str()).collect();
            writeln!(
                page,
                "| `{}` | {} | {} | {} | {} | {} |",
                card.id,
                grades(card.grades),
                card.title,
                card.objective,
                methods.join("; "),
                slips.join(", ")
            )
            .expect("a string");
        }
    }
    same(&root().join("docs/skills.md"), &page);
}

/// Prompts, answers and workings of three rungs a stage.
fn sheet(skill: &dyn Skill) -> String {
    let id = skill.card().id.to_owned();
    let order = LadderOrder {
        skills: vec![id],
        grip: 3,
        tilt: 3,
        climb: 3,
        seed: 7,
        method: None,
        ..LadderOrder::default()
    };
    let mut text = String::new();
    for rung in Ladder::make(&order).expect("made").rungs {
        writeln!(text, "{}: {}", rung.stage.name(), rung.prompt).expect("a string");
        for line in &rung.working {
            writeln!(text, "    {} | {}", line.math, line.reason).expect("a string");
        }
        writeln!(text, "    => {} [{}]", rung.answer.text, rung.answer.form.name())
            .expect("a string");
    }
    text
}

#[test]
fn one_sheet_of_every_skill_is_as_it_was_looked_at() {
    for skill in SKILLS {
        let name = format!("tests/golden/skills/{}.txt", skill.card().id);
        same(&Path::new(env!("CARGO_MANIFEST_DIR")).join(name), &sheet(*skill));
    }
}

#[test]
fn a_climb_asks_for_more_reading_and_writing_than_a_grip() {
    // Measured in characters of the prompt and lines of the key; how hard the numbers are is not in it.
    let mut longer = 0;
    for skill in SKILLS {
        let size = |stage: Stage| {
            let mut total = 0;
            for seed in 0..8 {
                let id = skill.card().id.to_owned();
                let n = |wanted| if wanted == stage { 4 } else { 0 };
                let order = LadderOrder {
                    skills: vec![id],
                    grip: n(Stage::Grip),
                    tilt: n(Stage::Tilt),
                    climb: n(Stage::Climb),
                    seed,
                    method: None,
                    ..LadderOrder::default()
                };
                let rungs = Ladder::make(&order).expect("made").rungs;
                total += rungs.iter().map(|r| r.prompt.len() + 20 * r.working.len()).sum::<usize>();
            }
            total
        };
        let [grip, tilt, climb] = Stage::ALL.map(size);
        println!("{:<28} grip {grip:>6} tilt {tilt:>6} climb {climb:>6}", skill.card().id);
        longer += usize::from(climb > grip);
    }
    assert!(longer * 10 >= SKILLS.len() * 9, "{longer} of {} climb", SKILLS.len());
}

#[test]
fn no_working_writes_the_same_line_twice_in_a_row() {
    let mut found = Vec::new();
    for skill in SKILLS {
        let card = skill.card();
        for method in card.methods {
            for seed in 0..6 {
                let order = LadderOrder {
                    skills: vec![card.id.into()],
                    grip: 6,
                    tilt: 6,
                    climb: 6,
                    seed,
                    method: Some(method.id),
                    ..LadderOrder::default()
                };
                for rung in Ladder::make(&order).expect("made").rungs {
                    let carries: Vec<_> = rung.working.iter().collect();
                    for pair in carries.windows(2) {
                        // Two places of a sum may well give the same calculation.
                        let repeats = pair[0].math == pair[1].math && pair[1].role != Role::Checks;
                        if repeats && pair[0].latex.is_some() {
                            found.push(format!("{} {}: {}", rung.skill, rung.method, pair[0].math));
                        }
                    }
                }
            }
        }
    }
    assert!(found.is_empty(), "{found:#?}");
}
