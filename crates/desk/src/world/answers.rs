//! Whether a line is the answer: the value in any writing, alone, behind a name, with its unit, or in a sentence.

use super::asked::{number_in, question, without_label};
use super::truth::is_name;
use super::typed::plain;
use super::{World, quantity, sentence, words};
use crate::finished::{is_decimal, is_worked_out};
use crate::task::Task;
use algebra::normal::prime_powers;
use algebra::step::exact_value;
use algebra::{
    Expr, ExprKind, Line, Options, Rational, Relation, StepVerdict, judge_alone, read_line_with,
};
use teaching::problem::told_rounded;

impl World<'_> {
    /// Whether a line tells the answer: the value in any writing, alone, behind a name, or in a sentence.
    pub(super) fn is_answer(&self, task: &Task, text: &str) -> bool {
        let answer = &self.rung.answer;
        if words::is_same(text, &answer.text) && words::has_words(text) {
            return true;
        }
        let (bare, is_named) = without_label(text);
        if is_named && self.names_another(text) {
            return false;
        }
        let text = bare;
        // Rungs that were saved before somebody's working was data: "Line 2 breaks; 16/55".
        let old = answer.text.split_once(';').filter(|(line, _)| line.starts_with("Line "));
        if let Some((line, rest)) = old.filter(|_| self.rung.flawed.is_none()) {
            return match text.split_once([';', ',', ':']) {
                Some((told, value)) if told.to_lowercase().contains("line") => {
                    words::is_same(told, line)
                        && (words::is_same(value, rest) || self.is_told(task, value))
                }
                _ => self.is_told(task, text),
            };
        }
        self.is_told(task, text)
    }

    /// Whether what stands before the colon is in the problem, but not in its question: `Rui: 12` where Leo is asked
    /// about.
    fn names_another(&self, text: &str) -> bool {
        let Some((label, _)) = text.split_once([':', '=']) else { return false };
        let told: Vec<String> = sentence::words(&plain(&self.rung.prompt)).collect();
        let asked: Vec<String> = sentence::words(&question(&self.rung.prompt)).collect();
        sentence::words(label)
            .any(|word| word.chars().count() > 2 && told.contains(&word) && !asked.contains(&word))
    }

    /// Whether a text is what stands in the key, however it is spaced, alone or behind "It is".
    pub(super) fn is_key(&self, text: &str) -> bool {
        const LEADS: &[&str] = &[
            "it is between ",
            "it lies between ",
            "between ",
            "it is ",
            "it's ",
            "they are ",
            "the answer is ",
            "answer is ",
        ];
        let plain = |text: &str| {
            let kept = text.chars().filter(|c| !c.is_whitespace());
            kept.collect::<String>().replace('²', "^2").replace('³', "^3").replace('−', "-")
        };
        let (bare, is_named) = without_label(text);
        if is_named && self.names_another(text) {
            return false;
        }
        let text = bare.trim().trim_end_matches('.');
        let lower = text.to_lowercase();
        let lead = LEADS.iter().find(|lead| lower.starts_with(**lead)).map_or(0, |lead| lead.len());
        let (told, answer) = (plain(text.get(lead..).unwrap_or(text)), &self.rung.answer);
        !told.is_empty() && (told == plain(&answer.text) || told == plain(&answer.value))
    }

    /// Whether a text tells the answer in words, as a value, or in a sentence.
    fn is_told(&self, task: &Task, text: &str) -> bool {
        if self.rung.answer.is_words() && self.gives_false_reason(text) {
            return false;
        }
        if self.rung.answer.is_words()
            && (words::tells(text, &self.rung.answer.value) || self.tells_words(text))
        {
            return true;
        }
        let others: Vec<&str> = self
            .rung
            .choices
            .iter()
            .filter(|choice| !choice.right)
            .map(|choice| choice.text.as_str())
            .collect();
        let answer = &self.rung.answer;
        if answer.is_words()
            && (words::tells_of_choices(text, &answer.value, &others)
                || words::names_only(text, &answer.value, &others)
                || self.counts_in_words(text)
                || self.compares_with_given(text)
                || self.is_unit_asked(text)
                || self.recurs_the_same(text))
        {
            return true;
        }
        if self.tells_all_values(text) || self.tells_each(task, text) || self.is_same_product(text)
        {
            return true;
        }
        let found = quantity::told(text);
        if self.has_unit(found.unit) && self.tells_value(task, found.value) {
            return true;
        }
        self.is_measured(task, text) || self.is_sentence(task, text)
    }

    /// `331 to 349`, `331 g and 349 g` where both values of a letter are asked for in a story.
    fn tells_all_values(&self, text: &str) -> bool {
        const BETWEEN: &[&str] = &["from", "to", "and", "or", "between", "it", "is", "they", "are"];
        let Some(Line::AnyOf(lines)) = self.rung.answer.read().filter(|_| self.rung.story) else {
            return false;
        };
        let value = |line: &Line| exact_value(line.as_equation()?.1);
        let numbers = sentence::numbers(text);
        let told = numbers.iter().map(|number| exact_value(&number_in(number.text)?));
        let (asked, told): (Option<Vec<_>>, Option<Vec<_>>) =
            (lines.iter().map(value).collect(), told.collect());
        let (Some(mut asked), Some(mut told)) = (asked, told) else { return false };
        asked.sort();
        told.sort();
        let says_nothing = |word: &String| {
            BETWEEN.contains(&word.as_str())
                || word.chars().all(|sign| sign.is_ascii_digit())
                || self.units.iter().any(|unit| quantity::is_same(word, unit))
        };
        !text.contains('=')
            && asked == told
            && sentence::words(text).all(|word| says_nothing(&word))
    }

    /// `thyme 24, clover 40, borage 64` where it is asked how much borage there is.
    fn tells_each(&self, task: &Task, text: &str) -> bool {
        let parts: Vec<&str> = text.split(',').map(str::trim).collect();
        let question: Vec<String> = sentence::words(&question(&self.rung.prompt)).collect();
        let told: Vec<String> = sentence::words(&plain(&self.rung.prompt)).collect();
        let mut right = 0;
        for part in &parts {
            let Some((name, value)) = part.split_once(' ') else { return false };
            let name = name.to_lowercase();
            let Some(number) = number_in(quantity::told(value).value) else { return false };
            let is_asked = question.contains(&name);
            if !told.contains(&name) {
                return false;
            }
            right += usize::from(is_asked && self.is_value(task, &number));
        }
        parts.len() > 1 && right == 1
    }

    /// `less than 400` where the answer is `less`, and 400 stands in the problem.
    fn compares_with_given(&self, text: &str) -> bool {
        let Some((first, rest)) = text.split_once(" than ") else { return false };
        let value = number_in(quantity::told(rest).value).and_then(|value| exact_value(&value));
        words::tells(first, &self.rung.answer.value)
            && value.is_some_and(|value| self.known.contains(&value))
    }

    /// `cm` where the answer is `centimetres`.
    fn is_unit_asked(&self, text: &str) -> bool {
        let text = text.trim().trim_end_matches('.');
        quantity::measured("1", text).is_some() && quantity::is_same(text, &self.rung.answer.value)
    }

    /// `0.5454...` where the answer is `0.545454…`.
    fn recurs_the_same(&self, text: &str) -> bool {
        let value = |text: &str| {
            let goes_on = text.contains(['…', '\u{307}']) || text.contains("...");
            number_in(text).filter(|_| goes_on).and_then(|value| exact_value(&value))
        };
        let asked = value(&self.rung.answer.value);
        asked.is_some() && value(text.trim()) == asked
    }

    /// `5 × 7 × 3 × 3` where the answer is `3^2 × 5 × 7`: the same primes in another order.
    fn is_same_product(&self, text: &str) -> bool {
        let factors = |text: &str| {
            let mut found = Vec::new();
            let product = number_in(text)?;
            primes_in(&product, &mut found)?;
            found.sort();
            (found.len() > 1).then_some(found)
        };
        let asked = factors(&self.rung.answer.value);
        asked.is_some() && factors(text) == asked
    }

    /// `2 roots` where the answer is `two`.
    fn counts_in_words(&self, text: &str) -> bool {
        const NUMBERS: &[&str] = &["no", "one", "two", "three", "four", "five", "six"];
        let asked = self.rung.answer.value.to_lowercase();
        let asked = if asked == "none" { "no".to_owned() } else { asked };
        let Some(count) = NUMBERS.iter().position(|name| *name == asked) else { return false };
        let told: Vec<String> = sentence::words(text).collect();
        let [first, rest @ ..] = &told[..] else { return false };
        let is_it = *first == asked || *first == count.to_string();
        is_it && (rest.is_empty() || self.is_in_question(&rest.join(" ")))
    }

    /// Whether a calculation in a reason is false: `true because 10² + 24² = 27²`.
    fn gives_false_reason(&self, text: &str) -> bool {
        if !text.contains(['=', '<', '>']) {
            return false;
        }
        let mut parts = vec![text];
        for mark in ["because", "since", " so ", ",", ". ", ":", " and "] {
            parts = parts.iter().flat_map(|part| part.split(mark)).collect();
        }
        parts.into_iter().any(|part| {
            let Ok(reading) = read_line_with(part.trim(), Options::default()) else { return false };
            let Line::Relations { sides, relations } = &reading.line else { return false };
            // `62/12 = 5.17` is rounded, and no false reason.
            let is_rounded = relations.iter().all(|relation| *relation == Relation::Equal)
                && sides.last().is_some_and(is_decimal);
            let told = if is_rounded {
                let relations = vec![Relation::Approximate; relations.len()];
                Line::Relations { sides: sides.clone(), relations }
            } else {
                reading.line.clone()
            };
            sides.iter().all(|side| side.symbols().is_empty())
                && matches!(judge_alone(&told), StepVerdict::NotEquivalent(_))
        })
    }

    /// "The oak hive has the larger part.": the answer, and words of the question, and none of another choice.
    fn tells_words(&self, text: &str) -> bool {
        let answer = &self.rung.answer.value;
        if !sentence::is_one(text)
            || sentence::turns(text)
            || answer.chars().any(|c| c.is_ascii_digit())
        {
            return false;
        }
        let told: Vec<String> = sentence::words(text).collect();
        let asked: Vec<String> = sentence::words(answer).collect();
        let stands = told.windows(asked.len().max(1)).any(|part| part == asked);
        let others = self.rung.choices.iter().filter(|choice| !choice.right);
        let other: Vec<String> = others
            .flat_map(|choice| sentence::words(&choice.text).collect::<Vec<_>>())
            .filter(|word| !asked.contains(word))
            .collect();
        let question: Vec<String> = sentence::words(&plain(&self.rung.prompt)).collect();
        stands
            && !other.is_empty()
            && told.iter().all(|word| {
                !other.contains(word)
                    && (asked.contains(word) || question.contains(word) || words::is_around(word))
            })
    }

    /// Whether a unit behind a value is the one that is asked for, or none, or only what the question calls it.
    pub(super) fn fits(&self, unit: &str) -> bool {
        // `37th term`
        let unit = match unit.split_once(' ').unwrap_or((unit, "")) {
            ("st" | "nd" | "rd" | "th", rest) => rest,
            _ => unit,
        };
        unit.is_empty()
            || self.units.iter().any(|asked| quantity::is_same(unit, asked))
            || (self.units.is_empty() && self.is_in_question(unit))
    }

    /// Whether words that are no unit stand in the sentence that asks: `5 half lives`, `80% heather`.
    fn is_in_question(&self, words: &str) -> bool {
        let stem = |word: String| word.trim_end_matches('s').to_owned();
        let asked: Vec<String> = sentence::words(&question(&self.rung.prompt)).map(stem).collect();
        let measures = words.split_whitespace().any(|word| quantity::measured("1", word).is_some());
        let is_money = words.contains(['$', '£', '€', '¢']);
        !measures
            && !is_money
            && !sentence::turns(words)
            && sentence::words(words).map(stem).all(|word| asked.contains(&word))
    }

    /// `63`, `= 63`, `A = 63`, `A = 126/2 = 63`: what stands last is the value, and what stands before it is true.
    fn tells_value(&self, task: &Task, text: &str) -> bool {
        let text = text.trim().trim_start_matches('=').trim();
        let (text, _) = without_label(text);
        let Ok(reading) = read_line_with(text, Options::default()) else { return false };
        // A bearing is told as it is written: `099°`.
        let told = text.rsplit(['=', '≈']).next().unwrap_or(text);
        if self.is_written(told)
            && matches!(&reading.line, Line::Relations { sides, .. } if sides.len() == 2 && is_name(&sides[0], task))
        {
            return true;
        }
        match &reading.line {
            Line::Expression(value) => self.is_value(task, value),
            Line::Rounded(value) => self.is_value(task, value),
            Line::Relations { sides, relations } => {
                let equal =
                    relations.iter().all(|r| matches!(r, Relation::Equal | Relation::Approximate));
                let Some(last) = sides.last().filter(|_| equal) else { return false };
                let named = is_name(&sides[0], task);
                // `a_4` where `a_5` is asked for.
                if named && self.is_another_term(&sides[0]) {
                    return false;
                }
                // `√9 = 3` under an equation is a check, not its answer.
                if !named && task.asks_letter {
                    return false;
                }
                let bare = if named { &sides[1..] } else { &sides[..] };
                // `A = 1/2 b h = 1/2 × 30 × 22 = 330`: the formula first.
                let formula = bare.iter().take_while(|side| !side.symbols().is_empty()).count();
                let bare = if named { &bare[formula..] } else { bare };
                bare.iter().all(|side| side.symbols().is_empty())
                    && self.is_value(task, last)
                    && bare.iter().all(|side| self.comes_to(side, last, relations))
            }
            _ => false,
        }
    }

    /// Whether a name has an index, and is not what the problem asks for.
    fn is_another_term(&self, name: &Expr) -> bool {
        let ExprKind::Symbol(name) = &name.kind else { return false };
        let Some((letter, index)) = name.split_once('_') else { return false };
        let index = index.trim_matches(['{', '}']);
        let asked = self.rung.prompt.rsplit(". ").next().unwrap_or(&self.rung.prompt);
        let names_terms = self.rung.prompt.contains(&format!("{letter}_"));
        names_terms
            && !asked.contains(&format!("{letter}_{{{index}}}"))
            && !asked.contains(name.as_str())
    }

    /// Whether a number is written just as the answer that is asked for in words.
    fn is_written(&self, number: &str) -> bool {
        self.rung.answer.is_words() && words::is_same(number, &self.rung.answer.value)
    }

    /// Whether a side of a chain comes to its end.
    fn comes_to(&self, side: &Expr, last: &Expr, relations: &[Relation]) -> bool {
        if side == last {
            return true;
        }
        let relation = if relations.contains(&Relation::Approximate) || self.asked_near().is_some()
        {
            Relation::Approximate
        } else {
            Relation::Equal
        };
        let link =
            Line::Relations { sides: vec![side.clone(), last.clone()], relations: vec![relation] };
        matches!(judge_alone(&link), StepVerdict::Equivalent { .. })
    }

    /// The rounded value that is asked for.
    pub(super) fn asked_near(&self) -> Option<Expr> {
        told_rounded(&self.rung.answer.read()?).cloned()
    }

    /// Whether a number is the value that is asked for, in the form that is asked for.
    pub(super) fn is_value(&self, task: &Task, value: &Expr) -> bool {
        if !value.symbols().is_empty() {
            return false;
        }
        let line = Line::Expression(value.clone());
        let told = Line::equation(Expr::symbol(&self.rung.unknown), value.clone());
        // Under an equation a number alone is the value of its letter, never of one of its sides.
        let asks_letter = !self.rung.unknown.is_empty();
        let is_expression = matches!(task.problem, Line::Expression(_));
        if (is_expression && task.is_answer(&line)) || (asks_letter && task.is_answer(&told)) {
            return true;
        }
        // An answer that claims show, and one whose letter has no equation.
        let has_equation = asks_letter && task.problem.symbols().contains(&self.rung.unknown);
        let is_plain = is_expression && !crate::has_units(&task.problem);
        let Some(asked) = self.asked.as_ref().filter(|_| !has_equation && !is_plain) else {
            return false;
        };
        let same = exact_value(value).is_some_and(|value| Some(value) == exact_value(asked));
        same && is_worked_out(value)
            && (self.rung.answer.form.fits(&line) || self.rung.answer.is_words())
    }

    /// `1.89 m²` where 18900 cm² are asked for: another unit of the same kind.
    fn is_measured(&self, task: &Task, text: &str) -> bool {
        let text = text.trim().trim_end_matches('.').trim_start_matches('=').trim();
        let (text, _) = without_label(text);
        let asked = self
            .asked
            .as_ref()
            .zip(self.units.first())
            .and_then(|(value, unit)| quantity::measured(&algebra::write::text(value), unit));
        let Some(Line::Expression(asked)) = asked else { return false };
        let options = Options { quantities: true, ..Options::default() };
        let Ok(reading) = read_line_with(text, options) else { return false };
        let last = match &reading.line {
            Line::Expression(value) => value,
            Line::Relations { sides, relations }
                if relations.iter().all(|relation| *relation == Relation::Equal) =>
            {
                let bare = if is_name(&sides[0], task) { &sides[1..] } else { &sides[..] };
                let chain = Line::Relations {
                    sides: bare.to_vec(),
                    relations: vec![Relation::Equal; bare.len().saturating_sub(1)],
                };
                if bare.len() > 1 && !matches!(judge_alone(&chain), StepVerdict::Equivalent { .. })
                {
                    return false;
                }
                let Some(last) = bare.last() else { return false };
                last
            }
            _ => return false,
        };
        let is_quantity = last.any(&mut |part| matches!(part.kind, ExprKind::Unit(_)));
        is_quantity
            && last.symbols().is_empty()
            && !last
                .any(&mut |part| matches!(part.kind, ExprKind::Divide(..) | ExprKind::Subtract(..)))
            && matches!(algebra::equal(last, &asked), algebra::Verdict::Equal { .. })
    }

    /// Whether a sentence tells the value: that number stands in it, with its unit or none, and no other but what the
    /// problem gives.
    fn is_sentence(&self, task: &Task, text: &str) -> bool {
        if !sentence::is_one(text) || sentence::turns(text) {
            return false;
        }
        let numbers = sentence::numbers(text);
        let mut right = Vec::new();
        for number in &numbers {
            let Some(value) = number_in(number.text) else { return false };
            let is_it = self.is_written(number.text) || self.is_value(task, &value);
            let names_unit = !sentence::says_no_unit(number.behind) && self.has_unit(number.behind);
            let is_right =
                is_it && self.has_unit(number.behind) && (number.is_told() || names_unit);
            let is_given = exact_value(&value).is_some_and(|value| self.known.contains(&value));
            if !is_right && !is_given {
                return false;
            }
            right.push(is_right);
        }
        // "8 of the 20 bees", "of the 20 bees 8 are left"; never "20, because 8 are left".
        let gives_reason =
            sentence::words(text).any(|word| matches!(word.as_str(), "because" | "since" | "as"));
        match right[..] {
            [] => false,
            [only] => only,
            [true, ..] => true,
            [.., last] => last && !gives_reason && !text.to_lowercase().contains("answer"),
        }
    }

    /// Whether the words behind a number in a sentence are its unit, or say no unit.
    fn has_unit(&self, behind: &str) -> bool {
        if sentence::says_no_unit(behind) {
            return true;
        }
        let all: Vec<&str> = behind.split_whitespace().collect();
        // `7.2 m m²`: a second unit makes another one.
        let is_unit = |word: &&str| {
            !matches!(*word, "in" | "a" | "t" | "h" | "s")
                && quantity::measured("1", word).is_some()
        };
        (1..=all.len().min(4))
            .any(|count| self.fits(&all[..count].join(" ")) && !all.get(count).is_some_and(is_unit))
    }
}

/// The primes of a product that is written as one, each as often as it stands there; `None` where a factor is no prime.
fn primes_in(product: &Expr, found: &mut Vec<Rational>) -> Option<()> {
    match &product.kind {
        ExprKind::Multiply(left, right) => {
            primes_in(left, found)?;
            primes_in(right, found)
        }
        ExprKind::Power(base, exponent) => {
            let times = exact_value(exponent)?.to_integer();
            let times: u32 = times.to_string().parse().ok().filter(|times| *times <= 64)?;
            (0..times).try_for_each(|_| primes_in(base, found))
        }
        _ => {
            let value = exact_value(product).filter(|_| product.as_plain_number().is_some())?;
            let powers = prime_powers(&value);
            matches!(powers[..], [(_, 1)]).then(|| found.push(value))
        }
    }
}
