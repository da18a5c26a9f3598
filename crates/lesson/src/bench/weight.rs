//! How heavy a rung is: what makes it harder, counted.

use skills::ladder::Rung;

/// How much a rung asks for: the digits of its numbers, the operations of its problem, the steps of its working and the
/// words to read. It compares rungs of one skill; between skills it says little.
#[must_use]
pub fn weight(rung: &Rung) -> u32 {
    let count = |text: &str, of: fn(char) -> bool| text.chars().filter(|c| of(*c)).count();
    let digits = |text: &str| count(text, |c| c.is_ascii_digit());
    let signs = |text: &str| count(text, |c| matches!(c, '-' | '.' | '/' | '^' | '√' | '('));
    let steps = rung.working.iter().filter(|line| line.latex.is_some()).count();
    let words = rung.prompt.split('$').step_by(2).flat_map(str::split_whitespace).count();
    let numbers = digits(&rung.prompt) + digits(&rung.answer.value);
    let shape = signs(&rung.line) + signs(&rung.answer.value);
    u32::try_from(2 * numbers + 3 * shape + 4 * steps + words / 2).unwrap_or(u32::MAX)
}
