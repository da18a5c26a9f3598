//! What stands behind a problem: the value that is asked for with its unit, what is given, and what lies in between.
//!
//! A line that does not follow from the line above may still be true of it: a value with a name, a calculation on the
//! side, an equation set up another way, a sentence. "Breaks" is said of what is false, never of what is only written
//! another way.

mod answers;
mod asked;
mod formulas;
mod quantity;
mod sentence;
mod steps;
mod truth;
mod typed;
mod ways;
mod words;

pub(super) use self::typed::words_of_latex;

use self::asked::{asked, nouns, number_in, one_value, units, without_label};
use self::typed::{from_latex, plain, spread, with_pi, with_times};
use super::task::{Progress, Task};
use super::{DeskLine, JudgedLine};
use algebra::step::exact_value;
use algebra::{Expr, Line, Options, Rational, Role, read_latex, read_line_with};
use skills::SKILLS;
use skills::ladder::{Choice, Rung};
use teaching::ids::SlipId;
use teaching::slips::{SLIPS, Slip};
use teaching::verdict::{LineVerdict, VerdictWord};
use teaching::world::{Quantity, QuantityPart};

/// Longest line that is heard, in bytes: a longer one is mathematics or nothing.
const LONGEST: usize = 600;

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
        let quantities = rung.world.iter().flat_map(|world| &world.quantities);
        let others = quantities.filter(|quantity| quantity.part != QuantityPart::Asked);
        known.extend(others.filter_map(Quantity::number));
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
        if written.text.len() > LONGEST {
            return None;
        }
        let text = self.as_typed(written);
        // What stands in the key is the answer, unless it is proved to lose or gain a solution.
        let word = said.verdict.word;
        let is_proved_other =
            matches!(word, VerdictWord::DropsSolution | VerdictWord::AddsSolution);
        // `15:25 = 3:5`: a true chain that ends in what stands in the key.
        let end = text.rsplit(['=', '≈']).next().unwrap_or(&text);
        let ends_in_key = word == VerdictWord::Holds && self.is_key(end);
        let ways = self.ways(task, &text);
        let is_told =
            |text: &str| self.is_answer(task, text) || !is_proved_other && self.is_key(text);
        let ends_chain = word == VerdictWord::Holds && self.ends_in_answer(task, &text);
        if is_told(&text) || ends_in_key || ends_chain || ways.iter().any(|way| is_told(way)) {
            let mut judged = self.judged(&text, said);
            judged.holds(Role::Concludes, "");
            judged.answers = true;
            return Some((judged, before.with_aside(false)));
        }
        if word == VerdictWord::Holds {
            return None;
        }
        if self.names_quantity(&text) {
            let mut judged = self.judged(&text, said);
            judged.holds(Role::Defines, "");
            return Some((judged, before.with_aside(true)));
        }
        if let Some(found) = ways.iter().find_map(|way| self.holds_as(task, way, &text, before)) {
            return Some(found);
        }
        if let Some(found) = self.each_part(task, &text, said, before) {
            return Some(found);
        }
        // `rectangle: 26 × 6 = 156`
        let (bare, _) = without_label(&text);
        let line = self.read(bare, task);
        if self.is_own_formula(bare) {
            let mut judged = self.judged(&text, said);
            judged.holds(Role::Defines, "");
            return Some((judged, before.with_aside(true)));
        }
        let exact = line.as_ref().and_then(|line| self.with_exact_values(task, line, before));
        let heard = exact
            .or_else(|| line.as_ref().and_then(|line| self.true_of_it(task, line, said, before)));
        if let Some((mut judged, progress)) = heard {
            // `100% = 580`
            let ends = judged.verdict.word == VerdictWord::Holds && self.ends_in_answer(task, bare);
            judged.answers |= ends;
            let aside = progress.aside && !ends;
            return Some((judged, progress.with_aside(aside)));
        }
        self.step_on_the_way(task, &text, said, before)
            .or_else(|| self.wrong_value(task, bare, said, before))
            .or_else(|| self.kept(task, line.as_ref(), &text, said, before))
    }

    /// Whether a line is a formula that the working names: `S = 6s^2`.
    fn is_own_formula(&self, text: &str) -> bool {
        let Ok(told) = read_line_with(text, Options::default()) else { return false };
        let formulas = self.rung.working.iter().filter(|line| line.latex.is_none());
        let mut formulas =
            formulas.filter_map(|line| line.math.strip_prefix('$')?.strip_suffix('$'));
        formulas.any(|latex| read_latex(latex).is_ok_and(|formula| formula.line == told.line))
    }

    /// A line as it would be typed, with `×` where an x stands between numbers.
    fn as_typed(&self, written: &DeskLine) -> String {
        let text = if written.latex { from_latex(&written.text) } else { written.text.clone() };
        let text = with_pi(&text);
        let has_x = self.rung.unknown == "x" || self.rung.answer.value.contains('x');
        if has_x { text } else { with_times(&text) }
    }

    /// In a problem in words a line that is not understood is kept: it never breaks for what it is not.
    fn kept(
        &self,
        task: &Task,
        line: Option<&Line>,
        text: &str,
        said: &JudgedLine,
        before: &Progress,
    ) -> Option<(JudgedLine, Progress)> {
        let is_wrong = matches!(said.verdict.word, VerdictWord::Breaks | VerdictWord::CantRead);
        if said.verdict.word == VerdictWord::CantRead && is_operation(text) {
            let mut judged = self.judged(text, said);
            judged.verdict = LineVerdict::saying(VerdictWord::CantTell, KEPT);
            return Some((judged, before.with_aside(true)));
        }
        // Where letters are reckoned with, a line that says something else is wrong.
        let is_algebra = !self.rung.story && !task.problem.symbols().is_empty();
        // A formula with everything put in has nothing left to be solved.
        let is_reckoned = (task.asks_letter || is_algebra) && !is_put_in(&task.problem);
        if is_reckoned || !is_wrong {
            return None;
        }
        let is_other = match line {
            None => words::has_words(text) || is_operation(text),
            Some(line @ Line::Relations { .. }) => {
                let known = task.problem.symbols();
                line.symbols().iter().any(|name| !known.contains(name))
            }
            Some(Line::Expression(value)) => !value.symbols().is_empty(),
            Some(_) => true,
        };
        is_other.then(|| {
            let mut judged = self.judged(text, said);
            judged.verdict = LineVerdict::saying(VerdictWord::CantTell, KEPT);
            (judged, before.with_aside(true))
        })
    }

    /// A value that is not the one asked for: what a slip says of it, or what is right in it.
    fn wrong_value(
        &self,
        task: &Task,
        text: &str,
        said: &JudgedLine,
        before: &Progress,
    ) -> Option<(JudgedLine, Progress)> {
        if let Some(other) = self.other_choice(text) {
            let mut judged = self.judged(text, said);
            let slip = other.slip.and_then(|id| self.slip(id));
            judged.slip = slip.map(Slip::id);
            let says = slip.map_or(NOT_THIS, Slip::to_student);
            judged.verdict = LineVerdict::saying(VerdictWord::Breaks, says);
            return Some((judged, before.with_aside(false)));
        }
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
        let is_step = self.rung.story || !is_equation;
        if is_step && self.is_reached(&exact, before) && !sentence::is_one(text) {
            progress.aside = true;
            progress.reached.push(exact);
            judged.verdict = LineVerdict::saying(VerdictWord::CantTell, KEPT);
            return Some((judged, progress));
        }
        // `5 half-lives` where days are asked for counts something else.
        let counts_other = !unit.is_empty()
            && !self.fits(unit)
            && !self.units.is_empty()
            && quantity::measured("1", unit).is_none()
            && !sentence::is_one(text.trim_start_matches(|c: char| !c.is_alphabetic()));
        if counts_other && self.known.contains(&exact) {
            progress.aside = true;
            judged.verdict = LineVerdict::saying(VerdictWord::CantTell, self.on_the_way(&exact));
            progress.reached.push(exact);
            return Some((judged, progress));
        }
        // `270 cm²` where a height is asked for is the rectangle around.
        if !unit.is_empty() && !self.fits(unit) && self.is_quantity(&exact, unit) {
            progress.aside = true;
            judged.verdict = LineVerdict::saying(VerdictWord::CantTell, self.on_the_way(&exact));
            progress.reached.push(exact);
            return Some((judged, progress));
        }
        if self.rounds_to_asked(&value) {
            judged.holds(Role::Follows, ROUND_IT);
            progress.aside = true;
            return Some((judged, progress));
        }
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
            judged.verdict = LineVerdict::saying(VerdictWord::CantTell, self.on_the_way(&exact));
            progress.reached.push(exact);
        } else if sentence::is_one(text) {
            progress.aside = true;
            progress.reached.push(exact);
            judged.verdict = LineVerdict::saying(VerdictWord::CantTell, NOT_ASKED);
        } else {
            judged.verdict = LineVerdict::saying(VerdictWord::Breaks, NOT_YET);
        }
        Some((judged, progress))
    }

    /// Whether a line tells the value of a quantity that is not asked for, by its name: `circumference: 42 m`.
    fn names_quantity(&self, text: &str) -> bool {
        let Some((name, value)) = text.split_once([':', '=']) else { return false };
        let found = self.rung.world.as_ref().and_then(|world| world.called(name.trim()));
        let Some(quantity) = found.filter(|quantity| quantity.part != QuantityPart::Asked) else {
            return false;
        };
        let told = one_value(value).and_then(|(value, _)| exact_value(&value));
        name.trim().chars().count() > 1 && told.is_some() && told == quantity.number()
    }

    /// Whether a number with a unit is one of the quantities that are not asked for.
    fn is_quantity(&self, value: &Rational, unit: &str) -> bool {
        self.rung.world.iter().flat_map(|world| &world.quantities).any(|quantity| {
            quantity.part != QuantityPart::Asked
                && quantity.number().as_ref() == Some(value)
                && quantity.unit.as_deref().is_some_and(|own| quantity::is_same(unit, own))
        })
    }

    /// What is to be said of a number that belongs to the problem and is not its answer.
    fn on_the_way(&self, value: &Rational) -> String {
        let quantities = self.rung.world.iter().flat_map(|world| &world.quantities);
        let is_it = |quantity: &&Quantity| {
            quantity.part != QuantityPart::Asked && quantity.number().as_ref() == Some(value)
        };
        match quantities.filter(is_it).max_by_key(|quantity| quantity.part == QuantityPart::Between)
        {
            Some(quantity) => format!("That is {}. What is asked for?", quantity.told()),
            None => ON_THE_WAY.to_owned(),
        }
    }

    /// The wrong choice that a text tells in words.
    fn other_choice(&self, text: &str) -> Option<&Choice> {
        let is_words = self.rung.answer.is_words();
        let told =
            |choice: &&Choice| words::has_words(&choice.text) && words::tells(text, &choice.text);
        self.rung.choices.iter().filter(|choice| is_words && !choice.right).find(told)
    }

    /// The slip that leads to a value instead of the answer.
    fn slip_to(&self, value: &Rational) -> Option<&'static dyn Slip> {
        let wrong = self.rung.choices.iter().filter(|choice| !choice.right);
        let (id, _) =
            wrong.filter_map(|choice| Some((choice.slip?, choice))).find(|(_, choice)| {
                one_value(&choice.text)
                    .is_some_and(|(told, _)| exact_value(&told).as_ref() == Some(value))
            })?;
        self.slip(id)
    }

    /// A slip of the skill, or one of all skills, by its id.
    fn slip(&self, id: SlipId) -> Option<&'static dyn Slip> {
        let skill = SKILLS.iter().find(|skill| skill.card().id == self.rung.skill);
        let of_skill = skill.into_iter().flat_map(|skill| skill.slips().iter());
        of_skill.chain(SLIPS).copied().find(|slip| slip.id() == id)
    }

    /// What an answer tells: whether it is the value, in its form, with its unit.
    pub fn told(&self, task: &Task, written: &DeskLine) -> Told {
        if written.text.len() > LONGEST {
            return Told { value: None, is_formed: false, unit: None };
        }
        let text = self.as_typed(written);
        let answers =
            self.is_answer(task, &text) || self.is_key(&text) || self.line_answers(task, &text);
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
            && (self.nouns.iter().any(|noun| quantity::is_same(found.unit, noun))
                || found
                    .unit
                    .split_whitespace()
                    .all(|word| word.chars().count() > 2 && word.chars().all(char::is_alphabetic)));
        if is_noun && quantity::measured("1", found.unit).is_none() {
            return read(found.value, false);
        }
        let quantities = task.quantities || quantity::measured("1", found.unit).is_some();
        read(text, quantities)
    }

    /// Whether a text that is said of lines tells the number that is asked for, when the problem does not hold it.
    pub fn tells(&self, said: &str) -> bool {
        self.holds_asked(said) && !self.holds_asked(&self.rung.prompt)
    }

    /// Whether somebody's own lines hold the number that is asked for.
    pub fn is_written_in(&self, lines: &[DeskLine]) -> bool {
        let short = lines.iter().filter(|line| line.text.len() <= LONGEST);
        short.take(super::MOST_LINES).any(|line| self.holds_asked(&line.text))
    }

    fn holds_asked(&self, text: &str) -> bool {
        let Some(asked) = self.asked.as_ref().and_then(exact_value) else { return false };
        sentence::numbers(&spread(text)).iter().any(|number| {
            number_in(number.text).as_ref().and_then(exact_value).as_ref() == Some(&asked)
        })
    }
}

const WRONG_UNIT: &str = "The number is right. Look at its unit again.";
const NOT_ASKED: &str = "Kept with your working. It does not tell yet what is asked.";
const ON_THE_WAY: &str = "This number belongs to the problem. What is asked for?";
const NOT_THIS: &str = "Not this one. Look again at what is asked.";
const NOT_YET: &str = "This is not it yet. Look again at what is given, and at what is asked.";
const ROUND_IT: &str = "Right so far. Now round it as it is asked for.";
const KEPT: &str = "Kept with your working.";

fn sides(line: &Line) -> Vec<Expr> {
    line.expressions().into_iter().cloned().collect()
}

/// What is done to the line above, beside it: `÷7`, `+ 12`.
fn is_operation(text: &str) -> bool {
    let text = text.trim();
    let rest = text.trim_start_matches(['÷', '×', '*', '/', '+', '-', '−']);
    rest.len() < text.len() && number_in(rest.trim()).is_some()
}

/// A formula with everything put in: `A = 1/2 × 6 × 4`.
fn is_put_in(line: &Line) -> bool {
    line.as_equation().is_some_and(|(left, right)| {
        matches!(left.kind, algebra::ExprKind::Symbol(_)) && right.symbols().is_empty()
    })
}
