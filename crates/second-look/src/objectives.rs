//! Objectives with nothing that practises them.

use super::task::Placed;
use super::{Finding, Kind, Spotted};

/// What an objective may be about, and the signs by which its practice is known.
const TOPICS: &[(&[&str], &[&str])] = &[
    (&["add", "addition", "sum"], &["+", "add", "sum", "total", "altogether", "plus", "in all"]),
    (
        &["subtract", "take away", "difference"],
        &["-", "−", "–", "subtract", "take away", "difference", "left", "fewer", "more than"],
    ),
    (
        &["multipl", "product", "times table"],
        &["×", "\\times", "\\cdot", "*", "multipl", "product", "times"],
    ),
    (
        &["divide", "division", "quotient"],
        &["÷", "\\div", "/", "\\frac", "divide", "share", "quotient"],
    ),
    (&["fraction"], &["\\frac", "/", "fraction", "half", "third", "quarter"]),
    (&["percent"], &["%", "percent"]),
    (&["equation"], &["=", "solve", "equation"]),
    (&["inequalit"], &["<", ">", "≤", "≥", "\\le", "\\ge", "inequal"]),
    (&["ratio", "proportion"], &[":", "ratio", "proportion"]),
    (&["round", "estimat"], &["round", "nearest", "decimal place", "significant", "estimat", "≈"]),
    (&["area"], &["area"]),
    (&["perimeter"], &["perimeter"]),
    (&["volume"], &["volume"]),
    (&["angle"], &["°", "angle", "\\degree", "degrees"]),
    (&["square root", "surd", "radical"], &["√", "\\sqrt", "root", "surd"]),
    (&["factoris", "factoriz", "factor"], &["factor"]),
    (&["expand", "bracket"], &["expand", "bracket", "("]),
    (&["mean", "median", "mode", "average"], &["mean", "median", "mode", "average"]),
    (&["probabilit"], &["probab", "chance", "likely"]),
    (
        &["pythagoras", "pythagorean", "hypotenuse"],
        &["pythag", "hypotenuse", "right-angled", "right triangle", "right angle"],
    ),
    (&["sine", "cosine", "tangent", "trigonometr"], &["sin", "cos", "tan"]),
    (&["logarithm"], &["log", "ln"]),
    (&["sequence", "pattern"], &["…", "...", "sequence", "term", "pattern", "next"]),
    (&["graph", "slope", "gradient"], &["graph", "plot", "slope", "gradient", "coordinate", "y ="]),
    (
        &["convert", "units"],
        &["convert", "cm", "km", "kg", "mm", "litre", "metre", "gram", "minute", "hour"],
    ),
    (&["tell the time", "clock"], &["minute", "hour", "clock"]),
    (&["power", "exponent", "indices", "index"], &["^", "power", "exponent", "²", "³"]),
    (&["quadratic"], &["^2", "²", "quadratic"]),
    (
        &["money", "coin", "change"],
        &["money", "coin", "cost", "price", "pay", "crown", "cent", "$", "€", "£"],
    ),
];

/// The objectives that no task of a lesson practises. Only those that name a topic of ours can be told.
pub(super) fn look(objectives: &[Placed], tasks: &[String]) -> Vec<Spotted> {
    if tasks.is_empty() {
        return Vec::new();
    }
    let all = tasks.join("\n").to_lowercase();
    let practised = |signs: &[&str]| signs.iter().any(|sign| all.contains(sign));
    objectives
        .iter()
        .filter(|objective| {
            let lower = objective.text.to_lowercase();
            let begins = |word: &&str| {
                lower.match_indices(*word).any(|(at, _)| {
                    !lower[..at].chars().next_back().is_some_and(char::is_alphanumeric)
                })
            };
            let mut topics = TOPICS.iter().filter(|(words, _)| words.iter().any(begins)).peekable();
            topics.peek().is_some() && !topics.any(|(_, signs)| practised(signs))
        })
        .map(|objective| {
            let says = "Nothing here practises it: add a question, a problem or a ladder.";
            let finding = Finding::new(Kind::ObjectiveUnpractised, objective.text.trim(), says);
            Spotted { place: objective.place, finding }
        })
        .collect()
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::Spot;

    #[test]
    fn an_objective_that_nothing_practises_is_found() {
        let objective = |text: &str| Placed { place: Spot::default(), text: text.into() };
        let all = [
            objective("I can add fractions."),
            objective("I can find a percent of an amount."),
            objective("I can explain my thinking."),
        ];
        let found = look(&all, &["Work out $\\frac{1}{2} + \\frac{1}{3}$.".into()]);
        assert_eq!(found.len(), 1);
        assert_eq!(found[0].finding.found, "I can find a percent of an amount.");
        assert_eq!(look(&all, &[]), []);
    }
}
