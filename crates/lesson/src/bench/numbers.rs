//! A number of a drawn problem is changed: the draw behind it is found, and the whole problem follows.
//!
//! Skills draw their answers first and reckon back, so that a number that is read often follows from several draws. Each
//! draw is replaced in turn by everything that it could have been; whatever gives the same problem with the wished
//! number in that place, and is proved, is what was meant.

use super::Refused;
use skills::ladder::{Drawn, Replaced, Rung};
use teaching::numerals::cut;

/// Most problems that are posed to find one.
const MOST_TRIES: usize = 900;
/// Widest range of a draw that is tried throughout.
const WIDEST: i64 = 240;
/// How many other numbers are offered when the wished one is not to be had.
const OFFERED: usize = 4;

/// The same problem with number `at` (from 0) of its prompt changed to `to`; as few others as possible change with it.
///
/// # Errors
/// [`Refused`] with the numbers near it that would do, where there are any.
pub(super) fn changed(drawn: &Drawn, at: usize, to: &str) -> Result<(Drawn, Rung), Refused> {
    let to = to.trim();
    if to.is_empty() || to.len() > 12 || !to.bytes().all(|b| b.is_ascii_digit() || b == b'.') {
        return Err(Refused::because("Write a number in digits."));
    }
    let (posed, made) = drawn.posed()?;
    let (between, old) = cut(&posed.prompt);
    if at >= old.len() {
        return Err(Refused::because("This number no longer stands in the problem."));
    }
    let mut best: Option<(usize, Drawn, Rung)> = None;
    let mut others: Vec<String> = Vec::new();
    let mut tries = 0;
    for (index, range) in made.iter().enumerate() {
        if range.high.saturating_sub(range.low) > WIDEST {
            continue;
        }
        for with in range.low..=range.high {
            if with == range.drawn || tries == MOST_TRIES {
                continue;
            }
            tries += 1;
            let candidate = replaced(drawn, index, with);
            let (posed, _) = candidate.posed()?;
            let (text, new) = cut(&posed.prompt);
            if text != between || new.len() != old.len() {
                continue;
            }
            let apart = (0..old.len()).filter(|&n| n != at && new[n] != old[n]).count();
            if new[at] != to {
                if new[at] != old[at] && apart == 0 {
                    others.push(new[at].to_owned());
                }
                continue;
            }
            if best.as_ref().is_some_and(|(fewest, ..)| *fewest <= apart) {
                continue;
            }
            if let Some(rung) = candidate.proved(&posed)? {
                best = Some((apart, candidate, rung));
            }
        }
    }
    best.map(|(_, drawn, rung)| (drawn, rung)).ok_or_else(|| refused(old[at], to, others))
}

fn replaced(drawn: &Drawn, index: usize, with: i64) -> Drawn {
    let draw = u32::try_from(index).unwrap_or(u32::MAX);
    let mut changed = drawn.clone();
    changed.replaced.retain(|one| one.draw != draw);
    changed.replaced.push(Replaced { draw, with });
    changed
}

fn refused(old: &str, to: &str, mut others: Vec<String>) -> Refused {
    let value = |text: &str| text.parse::<f64>().unwrap_or(0.0);
    let wished = value(to);
    others.sort_by(|a, b| (value(a) - wished).abs().total_cmp(&(value(b) - wished).abs()));
    others.dedup();
    others.truncate(OFFERED);
    others.sort_by(|a, b| value(a).total_cmp(&value(b)));
    Refused::because(if others.is_empty() {
        format!(
            "{old} follows from the other numbers of this problem. Change one of those, or draw it again."
        )
    } else {
        format!(
            "With {to} this problem would not come out. Instead of {old} it could be {}.",
            others.join(", ")
        )
    })
}

#[cfg(test)]
mod tests {
    use super::*;
    use teaching::skill::Stage;

    fn drawn(skill: &str, stage: Stage, seed: u64) -> Drawn {
        Drawn {
            skill: skill.into(),
            stage,
            index: 0,
            seed,
            attempt: 0,
            method: None,
            replaced: Vec::new(),
            world: None,
        }
    }

    #[test]
    fn the_answer_and_the_working_follow_a_changed_number() {
        let rung = drawn("pythagoras", Stage::Climb, 3);
        let area = drawn("area.triangle", Stage::Grip, 5);
        assert!(rung.rung().expect("known").is_some());
        let (posed, _) = area.posed().expect("known");
        let (_, old) = cut(&posed.prompt);
        let wished = if old[0] == "12" { "14" } else { "12" };
        let (changed, rung) = changed(&area, 0, wished).expect("it comes out");
        assert!(rung.prompt.contains(&format!("base of {wished} cm")), "{}", rung.prompt);
        assert!(rung.working[1].math.contains(wished), "{}", rung.working[1].math);
        // The same draws give the same rung again.
        assert_eq!(changed.rung().expect("known"), Some(rung));
    }

    #[test]
    fn what_does_not_come_out_is_refused_with_what_would() {
        let grip = drawn("equations.linear", Stage::Grip, 4);
        let refused = changed(&grip, 0, "9999").expect_err("too large");
        assert!(
            refused.says.contains("9999") || refused.says.contains("follows"),
            "{}",
            refused.says
        );
        for (at, to) in [(99, "5"), (0, "x"), (0, ""), (0, "12345678901234")] {
            assert!(changed(&grip, at, to).is_err(), "{at} {to}");
        }
    }

    #[test]
    fn some_number_of_every_skill_can_be_changed() {
        let mut stiff = Vec::new();
        for skill in skills::SKILLS {
            let id = skill.card().id;
            let can = (0..6).any(|seed| {
                let drawn = drawn(id, Stage::Grip, seed);
                let Ok((posed, made)) = drawn.posed() else { return false };
                let (between, old) = cut(&posed.prompt);
                made.iter().enumerate().any(|(index, range)| {
                    let with = if range.drawn < range.high { range.drawn + 1 } else { range.low };
                    let Ok((posed, _)) = replaced(&drawn, index, with).posed() else {
                        return false;
                    };
                    let (text, new) = cut(&posed.prompt);
                    text == between && new.len() == old.len() && new != old
                })
            });
            if !can {
                stiff.push(id);
            }
        }
        // Problems that are words have no numbers to change.
        assert!(stiff.len() <= 4, "{stiff:?}");
    }
}
