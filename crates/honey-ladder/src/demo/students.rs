//! What the demo class wrote on its Step Desks. Every line is judged like any other.

use algebra::Role;
use desk::{DeskLine, judge};
use skills::Ladder;
use skills::ladder::Rung;
use store::{Db, LadderId, StoreError};

/// Who sits there, how many rungs they have climbed, and on which rung a slip was made.
const CLASS: &[(&str, usize, Option<usize>)] =
    &[("Hana", 7, None), ("Tomas", 4, Some(1)), ("Imani", 5, Some(3)), ("Kofi", 2, None)];

/// Writes the class's work on a ladder.
///
/// # Errors
/// The database does not keep it.
pub async fn work(db: &Db, id: LadderId, ladder: &Ladder) -> Result<(), StoreError> {
    for &(name, climbed, slip_at) in CLASS {
        let desk = store::desk::join(db, id, name).await?;
        for (rung, number) in ladder.rungs.iter().zip(1..).take(climbed) {
            let slipped = (slip_at == Some(usize::from(number))).then(|| slip(rung)).flatten();
            let lines = slipped.unwrap_or_else(|| right(rung));
            let judgement = judge(rung, &lines);
            let written =
                store::desk::Written { rung: number, revision: 0, lines, answer: None, judgement };
            store::desk::save(db, desk, 0, &written).await?;
        }
    }
    Ok(())
}

/// The lines of the proved working, as they would be written.
pub fn right(rung: &Rung) -> Vec<DeskLine> {
    rung.working
        .iter()
        .filter(|line| matches!(line.role, Role::Follows | Role::Concludes))
        .filter_map(|line| Some(DeskLine { text: line.latex.clone()?, latex: true }))
        .collect()
}

/// One line with the first slip of the skill that fits.
pub fn slip(rung: &Rung) -> Option<Vec<DeskLine>> {
    let line = algebra::read_line(&rung.line).ok()?.line;
    let skill = skills::find(&rung.skill)?;
    let wrong = skill.slips().iter().find_map(|slip| slip.wrong(&line).into_iter().next())?;
    Some(vec![DeskLine { text: algebra::write::latex_line(&wrong), latex: true }])
}
