//! A ladder: its problems, as they were posed, typed or changed by hand.

use super::reading::without_label;
use super::task::{Placed, Task};
use super::{Finding, Kind, Spot, Spotted, look_at_task, look_at_text};
use skills::ladder::{Ladder, Rung};
use teaching::verdict::VerdictWord;

/// Everything that is wrong with a ladder; `block` of a place is the rung, from 0.
#[must_use]
pub fn look_at_ladder(ladder: &Ladder) -> Vec<Spotted> {
    let mut found = Vec::new();
    let mut asked: Vec<String> = Vec::new();
    for (at, rung) in ladder.rungs.iter().enumerate() {
        let place = Spot { block: Some(at), ..Spot::default() };
        found.extend(of_rung(rung, place));
        let problem = without_label(&rung.prompt).to_lowercase();
        if asked.contains(&problem) {
            let says = "This problem stands on the ladder twice.";
            let finding = Finding::new(Kind::DuplicateProblem, rung.prompt.as_str(), says);
            found.push(Spotted { place, finding });
        }
        asked.push(problem);
    }
    found
}

fn of_rung(rung: &Rung, place: Spot) -> Vec<Spotted> {
    let mut found = Vec::new();
    // Its own working and its answer are proved where they are made; what is told of the story is looked at here.
    for line in rung.working.iter().filter(|line| line.verdict == VerdictWord::Breaks) {
        let finding = Finding::new(Kind::FalseStep, line.math.as_str(), "This line does not hold.");
        found.push(Spotted { place, finding });
    }
    if rung.answer.text.trim().is_empty() {
        let finding = Finding::new(Kind::AnswerMissing, rung.prompt.as_str(), "It has no answer.");
        found.push(Spotted { place, finding });
    }
    let right = rung.choices.iter().filter(|choice| choice.right).count();
    if !rung.choices.is_empty() && right != 1 {
        let says = format!("{right} of its choices are right.");
        found.push(Spotted {
            place,
            finding: Finding::new(Kind::NotAnswerable, rung.prompt.as_str(), says),
        });
    }
    let task = Task {
        prompt: Placed { place, text: rung.prompt.clone() },
        working: Vec::new(),
        answer: None,
        pictures: Vec::new(),
        // What a skill asks it can answer.
        is_marked: true,
    };
    found.extend(look_at_task(&task));
    let all = look_at_text(&rung.prompt).into_iter();
    found.extend(all.map(|finding| Spotted { place, finding }));
    found
}

#[cfg(test)]
mod tests {
    use super::*;
    use skills::SKILLS;
    use skills::ladder::LadderOrder;

    #[test]
    fn ladders_of_every_skill_are_clean() {
        for card in SKILLS.iter().map(|skill| skill.card()) {
            let order = LadderOrder {
                skills: vec![card.id.to_owned()],
                grip: 3,
                tilt: 3,
                climb: 3,
                seed: 11,
                method: None,
                numbers: skills::ladder::Numbers::default(),
                ..LadderOrder::default()
            };
            let ladder = Ladder::make(&order).expect("a ladder");
            assert_eq!(look_at_ladder(&ladder), [], "{}", card.id);
        }
    }

    #[test]
    fn a_problem_that_stands_twice_is_found() {
        let order = LadderOrder {
            skills: vec![SKILLS[0].card().id.to_owned()],
            grip: 2,
            tilt: 0,
            climb: 0,
            seed: 1,
            method: None,
            numbers: skills::ladder::Numbers::default(),
            ..LadderOrder::default()
        };
        let mut ladder = Ladder::make(&order).expect("a ladder");
        ladder.rungs[1] = ladder.rungs[0].clone();
        let kinds: Vec<Kind> =
            look_at_ladder(&ladder).into_iter().map(|one| one.finding.kind).collect();
        assert_eq!(kinds, [Kind::DuplicateProblem]);
    }
}
