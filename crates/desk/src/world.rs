//! What stands behind a problem: the value that is asked for with its unit, what is given, and what lies in between.
//!
//! A line that does not follow from the line above may still be true of it: a value with a name, a calculation on the
//! side, an equation set up another way, a sentence. "Breaks" is said of what is false, never of what is only written
//! another way.

mod formulas;
mod quantity;
mod sentence;
mod words;

use super::task::{Progress, Task, is_worked_out};
use super::{DeskLine, JudgedLine};
use algebra::step::exact_value;
use algebra::{
    Expr, ExprKind, Line, Options, Rational, Relation, Role, StepVerdict, judge_alone,
    read_line_with,
};
use skills::SKILLS;
use skills::ladder::Rung;
use teaching::problem::told_rounded;
use teaching::slips::{SLIPS, Slip};
use teaching::verdict::{LineVerdict, VerdictWord};

/// Words in a problem that ask for a length, an area, a volume.
const LENGTHS: &[&str] = &[
    "long",
    "length",
    "perimeter",
    "wide",
    "width",
    "high",
    "height",
    "radius",
    "diameter",
    "circumference",
    "far",
    "distance",
    "deep",
    "side",
    "hypotenuse",
    "leg",
    "base",
    "tall",
];

/// The world of one problem.
pub(super) struct World<'a> {
    rung: &'a Rung,
    /// The value asked for, as an expression without its unit; `None` where the answer is no one number.
    asked: Option<Expr>,
    /// The units that it may be told in.
    units: Vec<String>,
    /// What the words of the problem count and measure.
    nouns: Vec<String>,
    /// Values that stand in the problem, and those between it and its answer.
    known: Vec<Rational>,
}

/// What an answer tells; `None` of what is not told.
pub(super) struct Told {
    pub value: Option<bool>,
    pub is_formed: bool,
    pub unit: Option<bool>,
}

impl<'a> World<'a> {
    pub fn of(rung: &'a Rung) -> Self {
        let mut known = Vec::new();
        let line = read_line_with(&rung.line, Options::default()).ok().map(|reading| reading.line);
        let workings = rung.working.iter().filter_map(teaching::WorkingLine::read);
        for side in line.into_iter().chain(workings).flat_map(|line| sides(&line)) {
            side.any(&mut |part| {
                if let Some(value) = exact_value(part)
                    && !known.contains(&value)
                {
                    known.push(value);
                }
                false
            });
        }
        for number in sentence::numbers(&plain(&rung.prompt)) {
            known.extend(number_in(number.text).as_ref().and_then(exact_value));
        }
        // The answer with the other sign is a slip, not a step.
        let asked = asked(rung);
        let turned = asked.as_ref().and_then(exact_value).map(|value| -value);
        known.retain(|value| Some(value) != turned.as_ref());
        Self { rung, asked, units: units(rung), nouns: nouns(rung), known }
    }

    /// What is to be said of a line that the line above does not tell, or that is not seen to be the answer: `None`
    /// where what was said of it stands.
    pub fn hear(
        &self,
        task: &Task,
        written: &DeskLine,
        said: &JudgedLine,
        before: &Progress,
    ) -> Option<(JudgedLine, Progress)> {
        let text = if written.latex { from_latex(&written.text) } else { written.text.clone() };
        if self.is_answer(task, &text) {
            let mut judged = self.judged(&text, said);
            judged.holds(Role::Concludes, "");
            judged.answers = true;
            return Some((judged, before.with_aside(false)));
        }
        if said.verdict.word == VerdictWord::Holds {
            return None;
        }
        let line = self.read(&text, task);
        let heard = line.as_ref().and_then(|line| self.true_of_it(task, line, said, before));
        heard.or_else(|| self.wrong_value(task, &text, said, before))
    }

    /// A value that is not the one asked for: what a slip says of it, or what is right in it.
    fn wrong_value(
        &self,
        task: &Task,
        text: &str,
        said: &JudgedLine,
        before: &Progress,
    ) -> Option<(JudgedLine, Progress)> {
        self.asked.as_ref()?;
        let (value, unit) = one_value(text)?;
        let is_equation = !matches!(task.problem, Line::Expression(_)) && !task.unknown.is_empty();
        // `x = 5` was looked at as the equation that it is.
        if is_equation && !self.rung.story && unit.is_empty() && text.contains(['=', '≈']) {
            return None;
        }
        let mut judged = self.judged(text, said);
        judged.hints.extend(said.hints.iter().skip(2).cloned());
        let mut progress = before.with_aside(false);
        if self.is_value(task, &value) && !self.fits(unit) {
            judged.verdict = LineVerdict::saying(VerdictWord::Breaks, WRONG_UNIT);
            return Some((judged, progress));
        }
        let exact = exact_value(&value)?;
        if let Some(slip) = self.slip_to(&exact) {
            judged.slip = Some(slip.id());
            judged.verdict = LineVerdict::saying(VerdictWord::Breaks, slip.to_student());
            return Some((judged, progress));
        }
        if is_equation && !self.rung.story {
            // `5` under an equation is `x = 5`.
            let told = Line::equation(Expr::symbol(&task.unknown), value);
            judged.verdict = task.says_of(&told);
            if judged.verdict.word == VerdictWord::Holds {
                return None;
            }
            return Some((judged, progress));
        }
        if self.known.contains(&exact) {
            progress.aside = true;
            judged.verdict = LineVerdict::saying(VerdictWord::CantTell, ON_THE_WAY);
        } else {
            judged.verdict = LineVerdict::saying(VerdictWord::Breaks, NOT_YET);
        }
        Some((judged, progress))
    }

    /// The slip that leads to a value instead of the answer.
    fn slip_to(&self, value: &Rational) -> Option<&'static dyn Slip> {
        let wrong = self.rung.choices.iter().filter(|choice| !choice.right);
        let (id, _) =
            wrong.filter_map(|choice| Some((choice.slip?, choice))).find(|(_, choice)| {
                one_value(&choice.text)
                    .is_some_and(|(told, _)| exact_value(&told).as_ref() == Some(value))
            })?;
        let skill = SKILLS.iter().find(|skill| skill.card().id == self.rung.skill);
        let of_skill = skill.into_iter().flat_map(|skill| skill.slips().iter());
        of_skill.chain(SLIPS).copied().find(|slip| slip.id() == id)
    }

    /// What an answer tells: whether it is the value, in its form, with its unit.
    pub fn told(&self, task: &Task, written: &DeskLine) -> Told {
        let text = if written.latex { from_latex(&written.text) } else { written.text.clone() };
        let answers = self.is_answer(task, &text) || self.line_answers(task, &text);
        let one = one_value(&text);
        let unit = one.as_ref().map(|(_, unit)| *unit).filter(|unit| !unit.is_empty());
        let is_value = one.as_ref().and_then(|(value, _)| exact_value(value)).map(|value| {
            self.asked.as_ref().and_then(exact_value).is_some_and(|asked| asked == value)
        });
        Told {
            value: if answers { Some(true) } else { is_value },
            is_formed: answers || one.as_ref().is_some_and(|(value, _)| self.is_value(task, value)),
            unit: unit.map(|unit| answers || self.fits(unit)),
        }
    }

    /// Whether a line of mathematics is the answer.
    fn line_answers(&self, task: &Task, text: &str) -> bool {
        self.read(text, task).is_some_and(|line| task.is_answer(&line))
    }

    /// A line in plain words or mathematics, judged anew.
    fn judged(&self, text: &str, said: &JudgedLine) -> JudgedLine {
        let mut judged = JudgedLine { error: None, slip: None, hints: Vec::new(), ..said.clone() };
        judged.verdict = LineVerdict::plain(VerdictWord::CantTell);
        if said.error.is_some() || said.verdict.word != VerdictWord::Holds && !self.units.is_empty()
        {
            // Its words were read as letters: it is shown as it was written.
            judged.reading.clear();
            judged.speech.clear();
            text.clone_into(&mut judged.plain);
        }
        judged
    }

    /// A line with its unit, and without words behind it that count something.
    fn read(&self, text: &str, task: &Task) -> Option<Line> {
        let read = |text: &str, quantities: bool| {
            let options = Options { quantities, ..Options::default() };
            let line = algebra::read_in_light(text, options, &task.light).ok()?.line;
            (!matches!(line, Line::Sentence(_) | Line::Definition { .. })).then_some(line)
        };
        let found = quantity::told(text);
        let is_noun = !found.unit.is_empty()
            && self.nouns.iter().any(|noun| quantity::is_same(found.unit, noun));
        if is_noun && quantity::measured("1", found.unit).is_none() {
            return read(found.value, false);
        }
        let quantities = task.quantities || quantity::measured("1", found.unit).is_some();
        read(text, quantities)
    }

    /// Whether a line tells the answer: the value in any writing, alone, behind a name, or in a sentence.
    fn is_answer(&self, task: &Task, text: &str) -> bool {
        let answer = &self.rung.answer;
        if words::is_same(text, &answer.text) && words::has_words(text) {
            return true;
        }
        let (text, _) = without_label(text);
        // "Line 2 breaks; 16/55": the right line, and what it should have led to.
        if let Some((line, rest)) =
            answer.text.split_once(';').filter(|(line, _)| line.starts_with("Line "))
        {
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

    /// Whether a text tells the answer in words, as a value, or in a sentence.
    fn is_told(&self, task: &Task, text: &str) -> bool {
        if self.rung.answer.is_words() && words::tells(text, &self.rung.answer.value) {
            return true;
        }
        let found = quantity::told(text);
        if self.fits(found.unit) && self.tells_value(task, found.value) {
            return true;
        }
        self.is_measured(task, text) || self.is_sentence(task, text)
    }

    /// Whether a unit behind a value is the one that is asked for, or none.
    fn fits(&self, unit: &str) -> bool {
        unit.is_empty() || self.units.iter().any(|asked| quantity::is_same(unit, asked))
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
                // `√9 = 3` under an equation is a check, not its answer.
                if !named && task.asks_letter {
                    return false;
                }
                let bare = if named { &sides[1..] } else { &sides[..] };
                bare.iter().all(|side| side.symbols().is_empty())
                    && self.is_value(task, last)
                    && bare.iter().all(|side| self.comes_to(side, last, relations))
            }
            _ => false,
        }
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
    fn asked_near(&self) -> Option<Expr> {
        told_rounded(&self.rung.answer.read()?).cloned()
    }

    /// Whether a number is the value that is asked for, in the form that is asked for.
    fn is_value(&self, task: &Task, value: &Expr) -> bool {
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
        let Some(asked) = self.asked.as_ref().filter(|_| !has_equation && !is_expression) else {
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
            Line::Relations { sides, relations } if *relations == [Relation::Equal] => {
                let named = sides.len() == 2 && is_name(&sides[0], task);
                if !named {
                    return false;
                }
                &sides[1]
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
        (1..=all.len().min(4)).any(|count| self.fits(&all[..count].join(" ")))
    }

    /// Whether a text that is said of lines tells the number that is asked for, when neither the problem nor the lines
    /// hold it.
    pub fn tells(&self, said: &str, lines: &[DeskLine]) -> bool {
        let Some(asked) = self.asked.as_ref().and_then(exact_value) else { return false };
        let holds = |text: &str| {
            sentence::numbers(&spread(text)).iter().any(|number| {
                number_in(number.text).as_ref().and_then(exact_value).as_ref() == Some(&asked)
            })
        };
        holds(said) && !holds(&self.rung.prompt) && !lines.iter().any(|line| holds(&line.text))
    }

    /// What is true of the world, though it does not follow from the line above.
    fn true_of_it(
        &self,
        task: &Task,
        line: &Line,
        said: &JudgedLine,
        before: &Progress,
    ) -> Option<(JudgedLine, Progress)> {
        let holds = |role: Role, says: &str, progress: Progress| {
            let mut judged =
                JudgedLine { error: None, slip: None, hints: Vec::new(), ..JudgedLine::of(line) };
            judged.note.clone_from(&said.note);
            judged.holds(role, says);
            (judged, progress)
        };
        let aside = || before.with_aside(true);
        match line {
            Line::Expression(value) | Line::Rounded(value) if value.symbols().is_empty() => {
                let is_known = exact_value(value).is_some_and(|value| self.known.contains(&value));
                // A number alone may be a slip; a calculation of the problem's numbers is one of its parts.
                let is_part = value.as_plain_number().is_none() && is_known;
                is_part.then(|| holds(Role::Follows, A_PART, aside()))
            }
            Line::Relations { sides, relations } => {
                let near = relations.contains(&Relation::Approximate);
                if !relations.iter().all(|r| matches!(r, Relation::Equal | Relation::Approximate)) {
                    return None;
                }
                if line.symbols().is_empty() {
                    let is_true = matches!(judge_alone(line), StepVerdict::Equivalent { .. });
                    return is_true.then(|| holds(Role::Checks, "", aside()));
                }
                if let Some(ExprKind::Symbol(name)) =
                    is_name(&sides[0], task).then_some(&sides[0].kind)
                    && !task.problem.symbols().contains(name)
                    && sides[1..].iter().all(|side| side.symbols().is_empty())
                {
                    return self.named(name, &sides[1..], near, said, before, &holds);
                }
                let meant = before.written_out(line);
                let is_new =
                    meant.symbols().iter().all(|name| !task.problem.symbols().contains(name));
                if meant.symbols().len() > 1 && is_new {
                    // `A = bh/2`, before the numbers are put in.
                    let mut found = holds(Role::Defines, PUT_IN, aside());
                    if !formulas::is_known(line) {
                        found.0.verdict = LineVerdict::saying(VerdictWord::CantTell, PUT_IN);
                    }
                    return Some(found);
                }
                self.set_up(line, task, before).map(|above| {
                    let says = if before.above.is_none() { FITS_STORY } else { FITS };
                    holds(Role::Follows, says, before.below(above))
                })
            }
            _ => None,
        }
    }

    /// A name for a value: `A = 1/2 × 27 × 14`, `half = 27 ÷ 2 = 13.5`.
    fn named(
        &self,
        name: &str,
        values: &[Expr],
        near: bool,
        said: &JudgedLine,
        before: &Progress,
        holds: &dyn Fn(Role, &str, Progress) -> (JudgedLine, Progress),
    ) -> Option<(JudgedLine, Progress)> {
        let last = values.last()?;
        let chain = Line::Relations {
            sides: values.to_vec(),
            relations: vec![
                if near { Relation::Approximate } else { Relation::Equal };
                values.len() - 1
            ],
        };
        if values.len() > 1 && !matches!(judge_alone(&chain), StepVerdict::Equivalent { .. }) {
            let mut judged = JudgedLine { ..said.clone() };
            judged.verdict = LineVerdict::saying(
                VerdictWord::Breaks,
                "The two sides are not the same. Work it out again.",
            );
            return Some((judged, before.clone()));
        }
        let mut progress = before.with_aside(true);
        progress.name(name, last);
        let value = exact_value(last);
        let is_known = value.is_some_and(|value| self.known.contains(&value));
        if is_known {
            return Some(holds(Role::Defines, "", progress));
        }
        let calculates = values.iter().any(|value| value.as_plain_number().is_none());
        let mut judged = holds(Role::Defines, "", progress.clone()).0;
        judged.verdict = LineVerdict::saying(
            VerdictWord::CantTell,
            if calculates { ON_THE_SIDE } else { WHERE_FROM },
        );
        Some((judged, progress))
    }

    /// An equation in one letter that the value asked for makes true; gives it in the problem's letter.
    fn set_up(&self, line: &Line, task: &Task, before: &Progress) -> Option<Line> {
        let meant = before.written_out(line);
        let letters: Vec<String> = meant.symbols().into_iter().collect();
        let [letter] = &letters[..] else { return None };
        if !task.unknown.is_empty()
            && before.above.is_some()
            && task.problem.symbols().contains(letter)
        {
            return None;
        }
        let asked = self.asked.as_ref()?;
        let put = meant.with(letter, asked);
        let is_true = matches!(judge_alone(&put), StepVerdict::Equivalent { .. });
        // A line that every number makes true sets nothing up.
        let other = meant.with(letter, &asked.clone().plus(Expr::int(1)));
        let says_something = matches!(judge_alone(&other), StepVerdict::NotEquivalent(_));
        (is_true && says_something).then_some(meant)
    }
}

/// The one value that a text tells, alone, behind a name, or in a sentence, with the words behind it.
fn one_value(text: &str) -> Option<(Expr, &str)> {
    let (text, _) = without_label(text);
    let text = text.trim().trim_start_matches('=').trim();
    let found = quantity::told(text);
    let (value, unit) = match found.value.rsplit_once(['=', '≈']) {
        Some((name, value)) if name.trim().chars().all(char::is_alphabetic) => (value, found.unit),
        Some(_) => return None,
        None => (found.value, found.unit),
    };
    if let Some(value) = number_in(value).filter(|value| value.as_plain_number().is_some()) {
        let is_unit = unit.is_empty() || !(sentence::says_no_unit(unit) || sentence::turns(unit));
        return is_unit.then_some((value, unit));
    }
    match &sentence::numbers(text)[..] {
        [only] if sentence::is_one(text) && !sentence::turns(text) => {
            let unit = if sentence::says_no_unit(only.behind) { "" } else { only.behind };
            Some((number_in(only.text)?, unit))
        }
        _ => None,
    }
}

const WRONG_UNIT: &str = "The number is right. Look at its unit again.";
const ON_THE_WAY: &str = "This number belongs to the problem. What is asked for?";
const NOT_YET: &str = "This is not it yet. Look again at what is given, and at what is asked.";
const PUT_IN: &str = "Now put in what is given.";
const FITS_STORY: &str = "This fits the story.";
const FITS: &str = "This fits the problem.";
const A_PART: &str = "That is a part of it.";
const ON_THE_SIDE: &str = "Kept with your working. Say how it leads to what is asked.";
const WHERE_FROM: &str = "Where does this number come from? Write how you found it.";

/// Whether a side is a letter or a word that may name a value here.
fn is_name(side: &Expr, task: &Task) -> bool {
    let ExprKind::Symbol(name) = &side.kind else { return false };
    // Where the problem asks for a letter, another one alone is a slip of the pen.
    *name == task.unknown
        || (!task.problem.symbols().contains(name)
            && (!task.asks_letter || name.chars().count() > 1))
}

fn sides(line: &Line) -> Vec<Expr> {
    line.expressions().into_iter().cloned().collect()
}

/// `Answer: 63`, `ans = 63`, `cost: 3 × 4.50`: what stands before a colon is no mathematics.
fn without_label(text: &str) -> (&str, bool) {
    let text = text.trim();
    let cut = text.find([':', '=', '≈']);
    let Some((label, rest)) = cut.map(|at| text.split_at(at)) else { return (text, false) };
    let label = label.trim();
    let is_words =
        label.chars().all(|c| c.is_alphabetic() || c == ' ') && label.chars().count() > 1;
    let says_answer = ["answer", "ans", "solution", "result"]
        .iter()
        .any(|word| label.to_lowercase().ends_with(word));
    if is_words && (rest.starts_with(':') || says_answer) {
        return (rest.trim_start_matches([':', '=', '≈', ' ']), true);
    }
    (text, false)
}

/// The value that is asked for, where it is one number.
fn asked(rung: &Rung) -> Option<Expr> {
    let read = |text: &str| match read_line_with(text, Options::default()).ok()?.line {
        Line::Expression(value) | Line::Rounded(value) => Some(value),
        line => line.as_equation().map(|(_, value)| value.clone()),
    };
    let value = read(&rung.answer.value).filter(|value| value.symbols().is_empty());
    value.or_else(|| quantity_value(rung))
}

/// The number of an answer that is written with its unit: `1.25 kg`.
fn quantity_value(rung: &Rung) -> Option<Expr> {
    let told = quantity::told(&rung.answer.value);
    (!told.unit.is_empty()).then(|| number_in(told.value)).flatten()
}

/// A number as it stands in a text.
fn number_in(text: &str) -> Option<Expr> {
    let options = Options { quantities: text.contains(['$', '£', '€']), ..Options::default() };
    match read_line_with(text, options).ok()?.line {
        Line::Expression(value) | Line::Rounded(value) if value.symbols().is_empty() => {
            Some(match value.kind {
                // `$4.50` in a sentence is 4.50.
                ExprKind::Multiply(number, unit) if matches!(unit.kind, ExprKind::Unit(_)) => {
                    *number
                }
                _ => value,
            })
        }
        _ => None,
    }
}

/// The units that the answer may be told in: that of the key, or the one that the question names.
fn units(rung: &Rung) -> Vec<String> {
    let mut found: Vec<String> = rung.answer.unit.iter().cloned().collect();
    let told = quantity::told(&rung.answer.value);
    if found.is_empty() && !told.unit.is_empty() && quantity::measured("1", told.unit).is_some() {
        found.push(told.unit.to_owned());
    }
    // The key's own sentence: "Both need 49/30 kg."
    if found.is_empty() {
        let value = asked(rung).as_ref().and_then(exact_value);
        for number in sentence::numbers(&plain(&rung.answer.text)) {
            let is_it = number_in(number.text)
                .as_ref()
                .and_then(exact_value)
                .is_some_and(|v| Some(v) == value);
            if is_it && !sentence::says_no_unit(number.behind) {
                found.extend(number.behind.split_whitespace().next().map(str::to_owned));
            }
        }
    }
    if !found.is_empty() {
        return found;
    }
    let prompt = plain(&rung.prompt);
    // "How long is it in cm?"
    let all: Vec<&str> =
        prompt.split_whitespace().map(|word| word.trim_matches(['?', '.', ',', ':'])).collect();
    for pair in all.windows(2) {
        if pair[0] == "in" && quantity::measured("1", pair[1]).is_some() {
            found.push(pair[1].to_owned());
        }
    }
    if !found.is_empty() {
        return found;
    }
    // "A wall is 7 dm by 11 dm. What is its area?"
    let mut lengths: Vec<String> = Vec::new();
    for number in sentence::numbers(&prompt) {
        let Some(first) = number.behind.split_whitespace().next() else { continue };
        let first = first.trim_matches(['?', '.', ',']);
        if quantity::is_same(first, first)
            && quantity::measured("1", first).is_some()
            && !lengths.iter().any(|l| l == first)
        {
            lengths.push(first.to_owned());
        }
    }
    let question: Vec<String> = sentence::words(&prompt).collect();
    let asks = |word: &str| question.iter().any(|found| found == word);
    if let [only] = &lengths[..] {
        if asks("area") {
            found.push(format!("{only}^2"));
        } else if asks("volume") {
            found.push(format!("{only}^3"));
        } else if LENGTHS.iter().any(|word| asks(word)) {
            found.push(only.clone());
        }
    }
    found
}

/// What the problem counts: the words behind its numbers and behind "how many".
fn nouns(rung: &Rung) -> Vec<String> {
    let prompt = plain(&rung.prompt);
    let mut found: Vec<String> = rung.answer.unit.iter().cloned().collect();
    let mut take = |word: Option<&str>| {
        let word = word.unwrap_or("").trim_matches(['?', '.', ',', ':', ';']);
        if word.chars().count() > 2
            && !sentence::says_no_unit(word)
            && word.chars().all(char::is_alphabetic)
        {
            found.push(word.to_owned());
        }
    };
    for number in sentence::numbers(&prompt) {
        let mut behind = number.behind.split_whitespace();
        take(behind.next());
        take(behind.next());
    }
    for rest in prompt.split("ow many ").skip(1) {
        take(rest.split_whitespace().next());
    }
    found
}

/// A text in which each number stands by itself.
fn spread(text: &str) -> String {
    text.chars().map(|c| if c.is_ascii_digit() || c == '.' || c == '-' { c } else { ' ' }).collect()
}

/// A prompt without the signs around its mathematics.
fn plain(prompt: &str) -> String {
    from_latex(&prompt.replace('$', " "))
}

/// Words and numbers of LaTeX as they would be typed.
fn from_latex(text: &str) -> String {
    let mut found = text.to_owned();
    for (from, to) in [
        ("\\left", ""),
        ("\\right", ""),
        ("\\,", " "),
        ("\\:", " "),
        ("\\;", " "),
        ("\\ ", " "),
        ("\\%", "%"),
        ("\\$", "$"),
        ("\\times", "×"),
        ("\\cdot", "×"),
        ("\\div", "÷"),
        ("\\pi", "π"),
        ("\\degree", "°"),
        ("^{\\circ}", "°"),
        ("^\\circ", "°"),
        ("\\approx", "≈"),
        ("\\le", "≤"),
        ("\\ge", "≥"),
        ("\\ne", "≠"),
        ("~", " "),
    ] {
        found = found.replace(from, to);
    }
    // \frac{a}{b} is a/b, and what stands in braces after a command of words is the words.
    while let Some(at) = found.find("\\frac{") {
        let Some((above, after)) = braces(&found, at + 5) else { break };
        let Some((below, end)) = braces(&found, after) else { break };
        let simple = |part: &str| part.chars().all(|c| c.is_alphanumeric() || c == '.');
        let held = |part: &str| if simple(part) { part.to_owned() } else { format!("({part})") };
        let before = if found[..at].ends_with(|c: char| c.is_ascii_digit()) { " " } else { "" };
        let fraction = format!("{before}{}/{}", held(above), held(below));
        found.replace_range(at..end, &fraction);
    }
    for command in ["\\text", "\\mathrm", "\\textrm", "\\operatorname"] {
        while let Some(at) = found.find(&format!("{command}{{")) {
            let Some((inside, end)) = braces(&found, at + command.len()) else { break };
            let inside = inside.to_owned();
            found.replace_range(at..end, &inside);
        }
    }
    for digit in ["2", "3"] {
        found = found.replace(&format!("^{{{digit}}}"), &format!("^{digit}"));
    }
    found.replace("{,}", ",")
}

/// What stands in the braces that open at `at`, and where they end.
fn braces(text: &str, at: usize) -> Option<(&str, usize)> {
    let inside = text[at..].strip_prefix('{')?;
    let mut depth = 1;
    for (end, sign) in inside.char_indices() {
        match sign {
            '{' => depth += 1,
            '}' => depth -= 1,
            _ => {}
        }
        if depth == 0 {
            return Some((&inside[..end], at + end + 2));
        }
    }
    None
}
