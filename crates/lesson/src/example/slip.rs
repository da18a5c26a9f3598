//! A slip that is put into a working, for students to find: one line breaks, and what stands below follows from it.

use algebra::Line;
use algebra::write::{latex_line, speech_line, text_line};
use serde::{Deserialize, Serialize};
use skills::ladder::Rung;
use skills::scenario;
use skills::slipped::{self, above, may_break, setting, written};
use teaching::draw::Draw;
use teaching::ids::SlipId;
use teaching::scenario::OwnScenario;
use teaching::slips::{SLIPS, Slip};
use teaching::working::WorkingLine;
use utoipa::ToSchema;

/// Most slips that are offered.
const MOST_OFFERS: usize = 24;

/// A slip in a working.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct PutIn {
    /// The line that breaks, counted from 0 among those of the usual working.
    pub line: usize,
    /// The id of the slip.
    #[serde(deserialize_with = "skills::ids::slip")]
    #[schema(value_type = skills::ids::SlipName)]
    pub id: SlipId,
    /// Who wrote it.
    pub name: String,
    /// What the line says.
    pub math: String,
}

/// A slip that can be put in.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, ToSchema)]
pub struct SlipOffer {
    /// The slip.
    pub slip: PutIn,
    /// What the line would say, for typesetting.
    pub latex: String,
    /// To be spoken.
    pub speech: String,
    /// What the mistake is.
    pub says: &'static str,
}

/// The lines of a working with a slip in them; none when it cannot be made there.
pub(super) fn broken(rung: &Rung, slip: &PutIn) -> Option<Vec<WorkingLine>> {
    let right = rung.working.get(slip.line).filter(|line| may_break(line))?;
    let known = SLIPS.iter().find(|known| known.id() == slip.id)?;
    let above = above(rung, slip.line)?;
    let wrong = written(*known, &above, right, &setting(rung));
    let wrong = wrong.into_iter().find(|wrong| text_line(wrong) == slip.math)?;
    slipped::broken(rung, slip.line, &wrong)
}

/// What is said of a slip to the teacher.
pub(super) fn told(id: SlipId) -> &'static str {
    SLIPS.iter().find(|known| known.id() == id).map_or("", |known| known.to_teacher())
}

/// Who is said to have made a slip in that problem.
pub(super) fn writer(rung: &Rung, world: Option<&OwnScenario>) -> String {
    let draw = &mut Draw::new(0, &rung.line);
    match world {
        Some(world) if !world.people.is_empty() => draw.one_of(&world.people).clone(),
        _ => scenario::name(draw).to_owned(),
    }
}

/// The same slip in the same line of another problem; none when it cannot be made there.
pub(super) fn like(rung: &Rung, writer: &str, slip: &PutIn) -> Option<PutIn> {
    let known = SLIPS.iter().find(|known| known.id() == slip.id)?;
    rung.working.get(slip.line).filter(|line| may_break(line))?;
    let above = above(rung, slip.line)?;
    offer(rung, slip.line, &above, *known, writer).map(|offer| offer.slip)
}

/// The slips that can be put into the working of a problem, line by line.
pub(super) fn offers(rung: &Rung, writer: &str) -> Vec<SlipOffer> {
    let mut found: Vec<SlipOffer> = Vec::new();
    for (at, line) in rung.working.iter().enumerate() {
        let Some(above) = above(rung, at).filter(|_| may_break(line)) else { continue };
        for known in SLIPS {
            if found.len() == MOST_OFFERS {
                return found;
            }
            // Two slips that write the same line are one to whoever has to find it.
            let offered = offer(rung, at, &above, *known, writer);
            let is_new = |offer: &SlipOffer| !found.iter().any(|other| other.latex == offer.latex);
            let offered = offered.filter(is_new);
            found.extend(offered);
        }
    }
    found
}

fn offer(rung: &Rung, at: usize, above: &Line, known: &dyn Slip, name: &str) -> Option<SlipOffer> {
    written(known, above, &rung.working[at], &setting(rung)).into_iter().find_map(|wrong| {
        let math = text_line(&wrong);
        let slip = PutIn { line: at, id: known.id(), name: name.into(), math };
        broken(rung, &slip)?;
        Some(SlipOffer {
            slip,
            latex: latex_line(&wrong),
            speech: speech_line(&wrong),
            says: known.to_teacher(),
        })
    })
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::example::base::Base;
    use teaching::verdict::VerdictWord;

    #[test]
    fn exactly_one_line_breaks_and_the_rest_follows_from_it() {
        for problem in ["3(2x - 5) = 27", "n/6 = 10/15", "3/4 + 1/8", "x^2 = 5x", "4 - 2x < 10"] {
            let rung = Base::typed(problem, None).expect(problem).rung;
            let offers = offers(&rung, "Leo");
            assert!(offers.len() >= 2, "{problem}: {offers:?}");
            for offer in offers {
                let lines = broken(&rung, &offer.slip).expect("it was offered");
                let breaks: Vec<usize> = (0..lines.len())
                    .filter(|&at| lines[at].verdict == VerdictWord::Breaks)
                    .collect();
                assert_eq!(breaks, [offer.slip.line], "{problem}: {offer:?}");
                let last = lines.last().expect("lines");
                assert_ne!(Some(&last.math), rung.working.last().map(|line| &line.math));
            }
        }
    }

    #[test]
    fn a_slip_that_nobody_can_make_there_is_not_put_in() {
        let rung = Base::typed("3(2x - 5) = 27", None).expect("worked").rung;
        let good = offers(&rung, "Leo").swap_remove(0).slip;
        assert!(broken(&rung, &good).is_some());
        for bad in [
            PutIn { line: 0, ..good.clone() },
            PutIn { line: 99, ..good.clone() },
            PutIn { id: SlipId::new("nothing"), ..good.clone() },
            PutIn { math: "6x - 15 = 27".into(), ..good },
        ] {
            assert_eq!(broken(&rung, &bad), None, "{bad:?}");
        }
    }

    #[test]
    fn what_is_right_in_the_problem_is_no_slip() {
        use skills::ladder::{Ladder, LadderOrder};
        let skills = vec!["circle.area".to_owned()];
        let mut seen = 0;
        for seed in 0..12 {
            let order =
                LadderOrder { skills: skills.clone(), tilt: 4, seed, ..LadderOrder::default() };
            for rung in Ladder::make(&order).expect("made").rungs {
                // A radius is positive: the root that is left out is left out rightly.
                for offer in offers(&rung, "Leo").iter().filter(|_| !rung.given.is_empty()) {
                    let (math, root) = (&offer.slip.math, rung.answer.value.as_str());
                    let right = math.ends_with(&format!("= {root}")) || math.contains("= √");
                    assert!(!right, "{}: {offer:?}", rung.prompt);
                    seen += 1;
                }
            }
        }
        assert!(seen > 0);
    }
}
