//! Questions that cannot be answered from what they give, or have more than one answer.

use super::reading::{asks, formulas, has_any, has_word, line_of, numbers, said, sentences};
use super::task::Task;
use super::{Finding, Kind, Spotted};
use algebra::Line;

/// What a story asks that takes two numbers at least.
const TAKES_TWO: &[&str] = &[
    "altogether",
    "in all",
    "in total",
    "left",
    "remain",
    "change",
    "each get",
    "more than",
    "fewer than",
    "left over",
    "cost in all",
    "pay",
    "profit",
    "how many more",
    "how many fewer",
];

/// A number that is not told.
const UNTOLD: &[&str] = &["some", "several", "a few", "many", "a number of", "lots of", "a lot of"];

/// Shapes with what is asked of them, and how many lengths that takes.
const MEASURED: &[(&str, &[&str], usize)] = &[
    ("rectangle", &["area", "perimeter"], 2),
    ("rectangular", &["area", "perimeter"], 2),
    ("triangle", &["area"], 2),
    ("parallelogram", &["area"], 2),
    ("trapezium", &["area"], 3),
    ("cuboid", &["volume", "surface area"], 3),
    ("box", &["volume"], 3),
    ("cylinder", &["volume"], 2),
    ("cone", &["volume"], 2),
    ("right-angled triangle", &["hypotenuse"], 2),
    ("right triangle", &["hypotenuse"], 2),
];

/// Why a question cannot be answered.
pub(super) fn look(task: &Task) -> Option<Spotted> {
    let prompt = &task.prompt.text;
    let says = too_few_equations(prompt).or_else(|| {
        // A picture or a table may give the rest.
        let points = has_any(
            prompt,
            &["picture", "figure", "diagram", "table", "graph", "chart", "shown", "above", "below"],
        );
        if !task.pictures.is_empty() || points {
            return None;
        }
        untold(prompt).or_else(|| too_few_lengths(prompt))
    })?;
    Some(Spotted {
        place: task.prompt.place,
        finding: Finding::new(Kind::NotAnswerable, prompt.trim(), says),
    })
}

/// One equation in two letters, of which a number is asked for.
fn too_few_equations(prompt: &str) -> Option<String> {
    let asked = sentences(prompt).into_iter().find(|sentence| {
        has_any(sentence, &["solve", "find"]) || sentence.starts_with("What is")
    })?;
    // What may well be told in another letter.
    if has_any(
        prompt,
        &[
            "in terms of",
            "formula",
            "subject",
            "rearrange",
            "slope",
            "gradient",
            "intercept",
            "line",
            "graph",
            "function",
            "table",
            "if",
            "when",
            "given",
            "for",
        ],
    ) {
        return None;
    }
    let lines: Vec<Line> =
        formulas(prompt).iter().filter_map(|math| line_of(&format!("${math}$"))).collect();
    let equations: Vec<&Line> = lines.iter().filter(|line| line.as_equation().is_some()).collect();
    let [equation] = equations[..] else { return None };
    // One equation may hold for every value of a letter, and so tell the other one.
    if formulas(prompt).iter().any(|math| math.contains(['^', '(', '/']) || math.contains("\\frac"))
    {
        return None;
    }
    let letters = equation.symbols();
    let wanted: Vec<&String> = letters
        .iter()
        .filter(|letter| has_word(asked, letter) || asked.contains(&format!("${letter}$")))
        .collect();
    (letters.len() > 1 && !wanted.is_empty()).then(|| {
        let letters: Vec<String> = letters.into_iter().collect();
        format!(
            "One equation in {} has many solutions: another one is needed.",
            letters.join(" and ")
        )
    })
}

/// A story in which a number is missing.
fn untold(prompt: &str) -> Option<String> {
    let all = sentences(prompt);
    let question = all.iter().rev().find(|sentence| asks(sentence))?;
    let lower = question.to_lowercase();
    let counts = lower.contains("how many")
        || lower.contains("how much")
        || lower.contains("what is the total");
    if !counts || !formulas(prompt).is_empty() {
        return None;
    }
    let told = numbers(prompt).len()
        + said(prompt).iter().filter(|value| **value != num_traits::One::one()).count();
    let needs_two = TAKES_TWO.iter().any(|words| has_word(&lower, words));
    let whole = prompt.to_lowercase();
    let is_untold =
        UNTOLD.iter().any(|word| has_word(&whole, word) && !whole.contains(&format!("how {word}")));
    let compares = has_any(&whole, &["twice", "double", "half", "times"])
        && has_any(&whole, &["as many", "as much", "as old", "as long", "as far"]);
    if numbers(prompt).is_empty() && told < 2 && compares {
        return Some("It gives no number to work with.".into());
    }
    if told < 2 && needs_two {
        let says = if told == 0 {
            "It gives no number to work with."
        } else {
            "It gives one number, and takes two."
        };
        return Some(says.into());
    }
    // `some jars at 4 crowns each`: what is paid hangs on how many.
    let priced = has_any(&whole, &["each", "per", "apiece"]) && numbers(prompt).len() < 3;
    if is_untold
        && priced
        && needs_two
        && !has_any(&whole, &["at first", "to begin with", "at the start", "started with"])
    {
        return Some("It does not tell how many there are.".into());
    }
    None
}

/// A shape with too few lengths.
fn too_few_lengths(prompt: &str) -> Option<String> {
    let all = sentences(prompt);
    let question = all.iter().rev().find(|sentence| asks(sentence))?;
    let (shape, _, need) = MEASURED
        .iter()
        .find(|(shape, what, _)| has_word(prompt, shape) && has_any(question, what))?;
    // A square, a ratio or a ratio of sides gives the rest.
    if has_any(
        prompt,
        &[
            "square",
            "equilateral",
            "twice",
            "double",
            "half",
            "three times",
            "times as",
            "regular",
            "cube",
            "isosceles",
            "ratio",
            "angle",
        ],
    ) || prompt.contains('°')
        || !formulas(prompt).is_empty() && numbers(prompt).is_empty()
    {
        return None;
    }
    let lengths = numbers(prompt).into_iter().filter(|number| !number.is_percent).count();
    (lengths < *need).then(|| {
        let given = ["no length", "one length", "two lengths"][lengths.min(2)];
        format!("It gives {given} of the {shape}, and takes {need}.")
    })
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::Spot;

    fn told(prompt: &str) -> Option<String> {
        look(&Task::asking(Spot::default(), prompt)).map(|spotted| spotted.finding.says)
    }

    #[test]
    #[rustfmt::skip]
    fn what_cannot_be_answered_is_found() {
        for (prompt, says) in [
            ("Hana has some jars and sells 5. How many are left?", "It gives one number, and takes two."),
            ("Hana buys some jars at 4 crowns each. How much change does she get from 50 crowns?", "It does not tell how many there are."),
            ("A rectangle is 8 cm long. What is its area?", "It gives one length of the rectangle, and takes 2."),
            ("Solve $x + y = 10$. Find $x$.", "One equation in x and y has many solutions: another one is needed."),
        ] { assert_eq!(told(prompt).as_deref(), Some(says), "{prompt}"); }
    }

    #[test]
    #[rustfmt::skip]
    fn what_can_be_answered_is_left_alone() {
        for prompt in [
            "Hana has 12 jars and sells 5. How many are left?",
            "Hana has some jars. She sells 5 and has 7 left. How many had she at first?",
            "Hana sells half of her 12 jars. How many are left?",
            "How many degrees has a right angle?", "How many minutes are there in 3 hours?",
            "A square has sides of 8 cm. What is its area?", "Find the slope of $y = 2x + 1$.",
            "Solve $x + y = 10$ and $x - y = 2$.", "Find $y$ if $x + y = 10$ and $x = 3$.",
            "A rectangle is 8 cm long and half as wide. What is its area?",
        ] { assert_eq!(told(prompt), None, "{prompt}"); }
    }
}
