//! Formulas in letters or words: those of the problem's world, and those of the trade.

use super::World;
use algebra::expr::is_name;
use algebra::step::exact_value;
use algebra::{Assumptions, Line, Setting, StepVerdict, compare_given, read_line};
use teaching::formulas::ALL;
use teaching::slips::Slip;

/// What a line in several letters is to a problem.
pub(super) enum Formula {
    /// It is true of its quantities, or a formula of the trade in letters that the problem does not use.
    Holds,
    /// With the problem's quantities it is false, and its words say that they are meant.
    Breaks(Option<&'static dyn Slip>),
    /// With the usual letters it is false; but letters are anybody's own.
    DoesNotFit(Option<&'static dyn Slip>),
    /// It is none that is known.
    Unknown,
}

impl World<'_> {
    /// What a line in several letters is to the problem.
    pub(super) fn formula(&self, line: &Line) -> Formula {
        let truth = self.rung.world.as_ref().and_then(|world| world.is_true(line));
        match truth {
            Some(true) => Formula::Holds,
            None if is_known(line) => Formula::Holds,
            None => Formula::Unknown,
            Some(false) if line.symbols().iter().all(|name| is_name(name)) => {
                Formula::Breaks(self.slip_in(line))
            }
            Some(false) => Formula::DoesNotFit(self.slip_in(line)),
        }
    }

    /// The slip that a false formula for what is asked leads to.
    fn slip_in(&self, line: &Line) -> Option<&'static dyn Slip> {
        let world = self.rung.world.as_ref()?;
        let (name, _) = line.as_equation()?;
        let asked = world.asked_for()?;
        if !asked.is_called(&algebra::write::text(name)) {
            return None;
        }
        let put_in =
            world.put_in(line, |quantity| quantity.part != teaching::world::QuantityPart::Asked);
        self.slip_to(&exact_value(put_in.as_equation()?.1)?)
    }
}

/// Whether a line is a formula of the trade; lengths and amounts are positive.
pub(super) fn is_known(line: &Line) -> bool {
    let letters = line.symbols();
    let setting = Setting { assumed: positive(), ..Setting::default() };
    ALL.iter().any(|formula| {
        read_line(formula).is_ok_and(|reading| {
            reading.line.symbols() == letters
                && matches!(
                    compare_given(&reading.line, line, &setting),
                    StepVerdict::Equivalent { .. }
                )
        })
    })
}

fn positive() -> Assumptions {
    Assumptions::read(["positive"]).unwrap_or_default()
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn a_formula_is_known_in_any_arrangement() {
        for text in [
            "A = 1/2 b h",
            "h = 2A/b",
            "bh = 2A",
            "A = πr^2",
            "C = 2πr",
            "P = 2l + 2w",
            "d = v t",
            "V = l × w × h",
            "c = sqrt(a^2 + b^2)",
        ] {
            assert!(is_known(&read_line(text).expect(text).line), "{text}");
        }
        for text in ["A = 2 b h", "A = π r", "C = π r^2", "P = l + w", "A = b + h"] {
            assert!(!is_known(&read_line(text).expect(text).line), "{text}");
        }
    }
}
