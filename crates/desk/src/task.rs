//! One line after another, each judged by what its role allows.

use super::{
    DeskLine, JudgedLine, asks_letter, has_degrees, hints, light, reads_units, unreadable,
};
use crate::finished::{
    base_of, has_two_numbers, is_based, is_decimal, is_unfinished, is_worked_out, turned, values_of,
};
use algebra::degrees::in_radians;
use algebra::form::Form;
use algebra::normal::simplest;
use algebra::{
    Expr, ExprKind, Light, Line, Options, Rational, Reading, Relation, Role, Setting, StepVerdict,
    compare_given, judge_alone, read_in_light,
};
use skills::ladder::Rung;
use teaching::problem::{setting, told_rounded};
use teaching::reading::best_reading;
use teaching::shape::{as_equation, carried, is_side_calculation, role, solved, with_near};
use teaching::verdict::{LineVerdict, VerdictWord};
use teaching::words::Against;
use teaching::{moves, slips, words};

/// What the lines are compared with.
pub(super) struct Task {
    pub problem: Line,
    pub unknown: String,
    pub story: bool,
    pub setting: Setting,
    /// The form the answer must have.
    pub form: Form,
    /// The answer as it stands in the key.
    pub key: String,
    /// What the problem and all lines tell about the names in each other.
    pub light: Light,
    /// Whether words behind numbers are units.
    pub quantities: bool,
    /// Whether its angles are in degrees.
    pub in_degrees: bool,
    /// Whether the answer is an angle in degrees.
    pub asks_degrees: bool,
    /// Whether the problem names the letter that it asks for.
    pub asks_letter: bool,
    /// The base of the numeral that is asked for, where one is.
    pub asks_base: Option<u32>,
}

/// How far the working has come.
#[derive(Default, Clone)]
pub(super) struct Progress {
    /// The line that the next one is compared with.
    pub above: Option<Line>,
    /// What letters were said to mean.
    meanings: Vec<(String, Expr)>,
    /// Whether a line may have brought in a solution that has not been left out yet.
    may_have_added: bool,
    /// Whether a line broke, so that the line above says something else than the problem.
    is_broken: bool,
    /// Whether the last line stands beside the working: words, a meaning given to a letter, a calculation that holds.
    pub aside: bool,
    /// The last rounded line, as an equation.
    rounded: Option<Line>,
    /// Rounded numbers of the lines above, each with what it was rounded from.
    decimals: Vec<(Expr, Expr)>,
    /// Numbers that were written on the way, beside the working.
    pub reached: Vec<Rational>,
    /// Values of letters that were found one by one, where several are asked for.
    found: Vec<Line>,
    /// What is said when the working ends with the last line, in which a solution stands that does not fit.
    pub left_in: Option<String>,
}

impl Progress {
    /// At the start: the line above the first one, where there is one.
    pub fn from(above: Option<Line>) -> Self {
        Self { above, ..Self::default() }
    }

    /// The same, with the last line beside the working or in it.
    #[must_use]
    pub fn with_aside(&self, aside: bool) -> Self {
        Self { aside, ..self.clone() }
    }

    /// The same, with the line that the next one is compared with.
    #[must_use]
    pub fn below(&self, above: Line) -> Self {
        Self { above: Some(above), aside: false, ..self.clone() }
    }

    /// Gives a value a name for the lines below.
    pub fn name(&mut self, name: &str, value: &Expr) {
        self.meanings.retain(|(known, _)| known != name);
        self.meanings.push((name.to_owned(), value.clone()));
    }

    /// Keeps what the end of a true chain was rounded from: `√(14² + 11²) = 17.8`.
    pub fn remember_rounded(&mut self, sides: &[Expr]) {
        let (Some(first), Some(last)) = (sides.first(), sides.last()) else { return };
        if sides.len() > 1 && is_decimal(last) && !is_decimal(first) && first.symbols().is_empty() {
            self.decimals.push((last.clone(), first.clone()));
        }
    }

    /// The line with what its numbers were rounded from in the lines above; `None` where none was.
    pub fn exact_values(&self, line: &Line) -> Option<Line> {
        let exact = |part: Expr| {
            let found = self.decimals.iter().rev().find(|(decimal, _)| decimal.kind == part.kind);
            found.map_or(part, |(_, exact)| exact.clone())
        };
        let replaced = line.map(&mut |side| side.map(&mut |part| exact(part)));
        (!self.decimals.is_empty() && replaced != *line).then_some(replaced)
    }

    /// The line with every letter that was given a meaning replaced by it.
    pub fn written_out(&self, line: &Line) -> Line {
        let all = self.meanings.iter().rev();
        all.fold(line.clone(), |line, (letter, value)| line.with(letter, value))
    }
}

impl Task {
    /// The task of a rung, in the light of all that is written below it.
    pub(super) fn of(rung: &Rung, lines: &[DeskLine]) -> Self {
        let quantities = reads_units(rung);
        let options = Options { quantities, ..Options::default() };
        let light = light(rung, lines);
        let problem = read_in_light(&rung.line, options, &light)
            .map_or(Line::NoSolution, |reading| reading.line);
        let in_degrees = has_degrees(&problem);
        let asks_degrees = rung.answer.read().is_some_and(|answer| has_degrees(&answer));
        Self {
            setting: setting(&problem, &rung.unknown, &rung.given),
            form: rung.answer.form.clone(),
            key: rung.answer.text.clone(),
            problem,
            unknown: rung.unknown.clone(),
            // In a story without a letter there is nothing to set up: its lines are compared with the value.
            story: rung.story && !rung.unknown.is_empty(),
            light,
            quantities,
            in_degrees: in_degrees || asks_degrees,
            asks_degrees,
            asks_letter: asks_letter(rung),
            asks_base: base_of(&rung.answer.value),
        }
    }

    /// A line under a problem whose answer is words: the words, or a calculation that leads there.
    pub(super) fn judge_words(
        &self,
        written: &DeskLine,
        answer: &str,
        progress: &mut Progress,
    ) -> JudgedLine {
        let plain =
            |text: &str| text.split_whitespace().collect::<Vec<_>>().join(" ").to_lowercase();
        let told = plain(written.text.trim_end_matches('.'));
        let reading = written.read_in(self.quantities, &self.light);
        let line = reading.as_ref().map_or(&Line::NoSolution, |reading| &reading.line);
        let mut judged = JudgedLine::of(line);
        let is_relation = matches!(line, Line::Relations { .. } | Line::AnyOf(_));
        if told == plain(answer) || plain(&judged.plain) == plain(answer) {
            judged.plain.clone_from(&written.text);
            judged.holds(Role::Concludes, "");
            judged.answers = true;
        } else if is_relation && line.symbols().is_empty() {
            self.calculates(line, &mut judged);
        } else if is_relation {
            // The student's own equation, and the lines below it.
            if let Some(above) = &progress.above {
                let several = above.symbols().union(&line.symbols()).count() > 1;
                let step = self.compare(above, line);
                // A second equation in two letters need not follow from the first.
                if !several || !matches!(step, StepVerdict::NotEquivalent(_)) {
                    judged.verdict =
                        words::step_says(&step, &self.unknown, Against::LineAbove(above));
                }
            }
            progress.above = Some(line.clone());
        } else {
            judged.reading.clear();
            judged.plain.clone_from(&written.text);
            judged.verdict.says =
                "Kept with your working. Write the answer as it is asked for.".into();
        }
        judged
    }

    /// Whether an expression is worked out and in the form asked for.
    fn is_value(&self, line: &Line) -> bool {
        let last = match line {
            Line::Expression(value) => value,
            Line::Relations { sides, relations }
                if relations.iter().all(|relation| *relation == Relation::Equal) =>
            {
                match sides.last() {
                    Some(value) => value,
                    None => return false,
                }
            }
            _ => return false,
        };
        let value = Line::Expression(last.clone());
        let fits = match self.form {
            Form::Any => {
                let is_value = match self.asks_base {
                    // A numeral of that base, not the number in tens.
                    Some(base) => is_based(last, base),
                    None => is_worked_out(last),
                };
                is_value || algebra::write::text(last) == self.key
            }
            // `2 × π × 16` is exact, and not worked out.
            Form::Exact if last.symbols().is_empty() => {
                self.form.fits(&value) && last.nodes() <= simplest(last).nodes()
            }
            Form::SimplifiedRadical | Form::Rationalised => {
                self.form.fits(&value) && !last.any(&mut has_two_numbers)
            }
            Form::LowestTerms if self.problem.symbols().is_empty() => {
                is_worked_out(last) && self.form.fits(&value)
            }
            _ => self.form.fits(&value),
        };
        fits && matches!(self.compare(&self.problem, &value), StepVerdict::Equivalent { .. })
    }

    /// Whether a rounded answer is asked for.
    fn rounds(&self) -> bool {
        matches!(self.form, Form::Decimal(_) | Form::Significant(_))
    }

    /// Whether a line is the answer rounded as it was asked for, with `≈` or without.
    fn is_rounded_answer(&self, line: &Line) -> bool {
        // Under an equation a number alone is the value of its letter.
        let line = &match (line, &self.problem) {
            (_, Line::Expression(_)) => line.clone(),
            (Line::Expression(value) | Line::Rounded(value), _) if !self.unknown.is_empty() => {
                Line::equation(Expr::symbol(&self.unknown), value.clone())
            }
            _ => line.clone(),
        };
        self.nearly(line).is_some_and(|near| {
            // `2π × 7 ≈ 44.0` under an expression.
            let near = match (&self.problem, told_rounded(&near)) {
                (Line::Expression(_), Some(value)) => Line::Rounded(value.clone()),
                _ => near,
            };
            self.form.fits(&near) && self.holds(&self.problem, &near)
        }) || self.is_exactly(line)
    }

    /// `10` where 10.0 is asked for, and the value is just 10.
    fn is_exactly(&self, line: &Line) -> bool {
        let value = match line {
            Line::Expression(value) => value,
            _ => match line.as_equation() {
                Some((_, value)) => value,
                None => return false,
            },
        };
        matches!(&value.kind, ExprKind::Number(_)) && self.holds(&self.problem, line)
    }

    /// A line as a rounded one, in degrees where an angle is asked for; none where nothing is to be rounded.
    fn nearly(&self, line: &Line) -> Option<Line> {
        let near = with_near(line).filter(|_| self.rounds())?;
        Some(if self.asks_degrees { in_degrees(near) } else { near })
    }

    /// What is said of a line that stands right below the problem.
    pub(super) fn says_of(&self, line: &Line) -> LineVerdict {
        let step = self.compare(&self.problem, line);
        words::step_says(&step, &self.unknown, Against::Problem(&self.problem))
    }

    fn holds(&self, from: &Line, to: &Line) -> bool {
        matches!(self.compare(from, to), StepVerdict::Equivalent { .. })
    }

    fn compare(&self, from: &Line, to: &Line) -> StepVerdict {
        compare_given(from, to, &self.setting)
    }

    pub(super) fn judge(&self, written: &DeskLine, progress: &mut Progress) -> JudgedLine {
        let reading = match written.read_in(self.quantities, &self.light) {
            Ok(reading) => reading,
            Err(error) => return unreadable(&written.text, &error),
        };
        let note = reading.notes.first().map_or("", words::note);
        let judged = self.judge_reading(&written.text, reading, progress);
        JudgedLine { note: note.into(), ..judged }
    }

    /// A line that was read already.
    pub(super) fn judge_line(&self, line: &Line, progress: &mut Progress) -> JudgedLine {
        let reading = Reading { line: line.clone(), notes: Vec::new(), unlabelled: None };
        self.judge_reading("", reading, progress)
    }

    fn judge_reading(&self, text: &str, reading: Reading, progress: &mut Progress) -> JudgedLine {
        let mut judged = JudgedLine::of(&reading.line);
        progress.aside = matches!(reading.line, Line::Sentence(_) | Line::Definition { .. });
        match &reading.line {
            Line::Sentence(_) => {
                text.clone_into(&mut judged.plain);
                judged.verdict.says = "Words are kept with your working, but not checked.".into();
                return judged;
            }
            Line::Definition { letter, value } => {
                self.define(letter, value, &mut judged, progress);
                return judged;
            }
            _ => {}
        }
        progress.left_in = None;
        let is_calculation =
            matches!(reading.line, Line::Relations { .. }) && reading.line.symbols().is_empty();
        if progress.above.is_none() && is_calculation {
            self.calculates(&reading.line, &mut judged);
            progress.aside = judged.verdict.word == VerdictWord::Holds;
            return judged;
        }
        let Some(above) = progress.above.clone() else {
            judged.verdict = self.first_of_story(&reading.line);
            judged.answers = self.is_answer(&reading.line);
            progress.above = Some(reading.line);
            return judged;
        };
        let before = progress.written_out(&above);
        let (line, other) = (reading.line, reading.unlabelled);
        let meant = progress.written_out(&line);
        let unlabelled = other.as_ref().map(|other| progress.written_out(other));
        let (step, meant) = best_reading(&before, meant, unlabelled, &self.setting);
        let line = match other {
            Some(other) if progress.written_out(&other) == meant => other,
            _ => line,
        };
        judged = JudgedLine::of(&line);
        judged.verdict = words::step_says(&step, &self.unknown, Against::LineAbove(&before));
        match step {
            StepVerdict::Equivalent { .. } => {
                self.follows(&before, &line, &meant, &mut judged, progress);
            }
            StepVerdict::NotEquivalent(_) => {
                self.differs(&before, &line, &meant, &mut judged, progress);
            }
            StepVerdict::Tested { .. } | StepVerdict::Undecided => {
                if self.is_implied(&before, &meant) {
                    judged.holds(Role::Follows, "");
                } else {
                    progress.above = Some(line);
                }
            }
        }
        let is_wrong = judged.verdict.word.is_wrong();
        judged.answers =
            !is_wrong && (self.is_answer(&meant) || self.is_last_value(&meant, progress));
        judged
    }

    /// `x = -6`, and lines below it `y = -2`: the last of the values that are asked for.
    fn is_last_value(&self, line: &Line, progress: &mut Progress) -> bool {
        let letters = self.problem.symbols();
        if letters.len() < 2 || !matches!(self.problem, Line::AllOf(_)) || !solved(line) {
            return false;
        }
        progress.found.retain(|known| known.symbols() != line.symbols());
        progress.found.push(line.clone());
        progress.found.len() == letters.len()
            && self.is_answer(&Line::AllOf(progress.found.clone()))
    }

    /// `let u = x^2` gives a new letter a meaning for the lines below.
    fn define(&self, letter: &str, value: &Expr, judged: &mut JudgedLine, progress: &mut Progress) {
        let known = self.problem.symbols().contains(letter)
            || progress.meanings.iter().any(|(known, _)| known == letter)
            || value.symbols().contains(letter);
        if known {
            judged.verdict = LineVerdict::saying(
                VerdictWord::Breaks,
                format!("${letter}$ has a meaning already. Choose a letter that is not in use."),
            );
            return;
        }
        judged.holds(Role::Defines, "");
        progress.meanings.push((letter.to_owned(), value.clone()));
    }

    /// The line says the same as the line above; whether it still says the same as the problem is looked at too,
    /// since a condition on the way may have narrowed it.
    fn follows(
        &self,
        before: &Line,
        line: &Line,
        meant: &Line,
        judged: &mut JudgedLine,
        progress: &mut Progress,
    ) {
        judged.verdict.made = moves::named(before, meant).unwrap_or_default();
        judged.role = Some(role(line));
        if line.is_rounded() {
            progress.rounded = as_equation(line);
            return;
        }
        progress.above = Some(carried(before, line));
        if self.story || progress.is_broken {
            return;
        }
        match self.compare(&self.problem, meant) {
            StepVerdict::Equivalent { .. } => progress.may_have_added = false,
            StepVerdict::NotEquivalent(found)
                if progress.may_have_added && solved(meant) && !found.gained.is_empty() =>
            {
                let told = words::values(&self.unknown, &found.gained);
                progress.left_in = Some(format!(
                    "Put {told} into the problem: it does not fit there. Leave it out."
                ));
            }
            // The check at the end is still to come.
            StepVerdict::NotEquivalent(_) if progress.may_have_added => {}
            StepVerdict::NotEquivalent(found) if !self.is_implied(&self.problem, meant) => {
                let step = StepVerdict::NotEquivalent(found);
                let says =
                    words::step_says(&step, &self.unknown, Against::Problem(&self.problem)).says;
                judged.verdict = LineVerdict::saying(
                    VerdictWord::Breaks,
                    format!("Fine for some values, but no longer the same as the problem. {says}"),
                );
                progress.is_broken = true;
            }
            _ => {}
        }
    }

    /// The line says something else than the line above, which may be right all the same: a check, a step that
    /// may add a solution, the one that leaves it out, a line that follows from a system.
    fn differs(
        &self,
        before: &Line,
        line: &Line,
        meant: &Line,
        judged: &mut JudgedLine,
        progress: &mut Progress,
    ) {
        if is_side_calculation(before, meant) {
            self.calculates(meant, judged);
            progress.aside = judged.verdict.word == VerdictWord::Holds;
            return;
        }
        let rounded = progress.rounded.as_ref().map(|rounded| self.compare(rounded, meant));
        if matches!(rounded, Some(StepVerdict::Equivalent { .. })) {
            judged.holds(Role::Rounds, "");
            return;
        }
        if let Some(near) = self.nearly(meant).filter(|near| self.holds(before, near)) {
            let is_told = told_rounded(meant).is_some();
            let says = if is_told { WRITE_DEGREES } else { WRITE_NEARLY };
            judged.holds(Role::Rounds, says);
            progress.rounded = as_equation(&near);
            return;
        }
        // `sin 35` where every angle is in degrees.
        let in_degrees = in_radians(meant);
        if self.in_degrees && self.holds(before, &in_degrees) {
            judged.holds(Role::Follows, WRITE_DEGREES);
            progress.above = Some(in_degrees);
            return;
        }
        // `x = 60` where angles are asked for in degrees.
        if let Some(marked) = self.marked(meant).filter(|marked| self.holds(before, marked)) {
            judged.holds(Role::Follows, WRITE_DEGREES);
            progress.above = Some(marked);
            return;
        }
        if self.is_implied(before, meant) {
            judged.holds(Role::Follows, "");
            judged.verdict.made = moves::named(before, meant).unwrap_or_default();
            return;
        }
        let returns = (progress.may_have_added || progress.is_broken)
            && matches!(self.compare(&self.problem, meant), StepVerdict::Equivalent { .. });
        if returns {
            let says = if progress.is_broken {
                "This fits the problem again."
            } else {
                "Right: what does not fit the problem is left out."
            };
            judged.holds(Role::Rejects, says);
            (progress.is_broken, progress.may_have_added) = (false, false);
            progress.above = Some(line.clone());
            return;
        }
        let made = moves::attempted(before, meant);
        if judged.verdict.word == VerdictWord::AddsSolution && made.is_some() && !solved(meant) {
            judged.holds(Role::MayAdd, KEEP_FOR_THE_CHECK);
            judged.verdict.made = made.unwrap_or_default();
            progress.may_have_added = true;
            progress.above = Some(line.clone());
            return;
        }
        let slip = slips::recognise(before, meant);
        judged.slip = slip.map(|slip| slip.id());
        judged.verdict.made = made.unwrap_or_default();
        judged.hints = hints::broken(before, meant, slip, &self.unknown);
        progress.is_broken = true;
        progress.above = Some(line.clone());
    }

    /// A calculation with numbers alone: beside the working, or the problem with a value put in.
    fn calculates(&self, line: &Line, judged: &mut JudgedLine) {
        let alone = judge_alone(line);
        judged.verdict = words::step_says(&alone, &self.unknown, Against::OtherSide);
        judged.role = Some(Role::Checks);
        if let (StepVerdict::NotEquivalent(_), Some(value)) = (&alone, self.put_in(line)) {
            judged.verdict = LineVerdict::saying(
                VerdictWord::CantTell,
                format!(
                    "This does not come out, so ${} = {}$ does not fit the problem. Leave it out.",
                    self.unknown,
                    algebra::write::latex(&value)
                ),
            );
        }
    }

    /// The value of the unknown that turns the problem into this line.
    fn put_in(&self, line: &Line) -> Option<Expr> {
        let letter = &self.unknown;
        let mut values: Vec<Expr> = Vec::new();
        for side in line.expressions() {
            side.any(&mut |part| {
                if part.as_plain_number().is_some() && !values.contains(part) {
                    values.push(part.clone());
                    values.push(part.clone().negative());
                }
                false
            });
        }
        let same = |made: &Line| {
            let (made, told) = (made.expressions(), line.expressions());
            made.len() == told.len()
                && made
                    .iter()
                    .zip(&told)
                    .all(|(a, b)| matches!(algebra::equal(a, b), algebra::Verdict::Equal { .. }))
        };
        values.into_iter().find(|value| same(&self.problem.with(letter, value)))
    }

    /// Whether a line follows from a system or from cases, and says no more: with it the system is the same.
    fn is_implied(&self, above: &Line, line: &Line) -> bool {
        let Line::AllOf(lines) = above else { return false };
        let mut all = lines.clone();
        all.push(line.clone());
        let with = Line::AllOf(all);
        matches!(self.compare(above, &with), StepVerdict::Equivalent { .. })
    }

    /// The first line of a story: the student's own equation, in a letter of their own.
    fn first_of_story(&self, line: &Line) -> LineVerdict {
        if self.fits_story(line) {
            return LineVerdict::saying(VerdictWord::Holds, "This fits the story.");
        }
        LineVerdict::saying(
            VerdictWord::CantTell,
            "This cannot be matched with the story yet. Does it hold every number of the story?",
        )
    }

    /// Whether a line says the same as the story's equation, in whichever letter.
    fn fits_story(&self, line: &Line) -> bool {
        let letters: Vec<String> = line.symbols().into_iter().collect();
        let [letter] = &letters[..] else { return false };
        self.holds(&self.problem, &line.with(letter, &Expr::symbol(&self.unknown)))
    }

    /// Whether the line tells the solutions of the problem: `x = 7` (or `7 = x` is not yet in that form).
    pub(super) fn is_answer(&self, line: &Line) -> bool {
        if self.rounds() {
            return self.is_rounded_answer(line);
        }
        let is_formula = self.problem.as_equation().is_some() && self.setting.unknown.is_some();
        let in_letters = is_formula && matches!(self.form, Form::SolvedFor(_));
        if in_letters {
            return self.form.fits(line) && self.holds(&self.problem, line);
        }
        if matches!(self.problem, Line::Expression(_)) {
            return self.is_value(line);
        }
        // `(1, 3)` for x = 1, y = 3, and `-3 ≤ x` for x ≥ -3.
        if let Some(other) = self.as_values(line).or_else(|| turned(line)) {
            return self.is_answer(&other);
        }
        if !solved(line) || values_of(line).into_iter().any(is_unfinished) {
            return false;
        }
        if self.story {
            return self.fits_story(line);
        }
        let solves = |line: &Line| self.holds(&self.problem, line);
        solves(line) || self.marked(line).is_some_and(|marked| solves(&marked))
    }

    /// A point as values of the letters of a system, in their order.
    fn as_values(&self, line: &Line) -> Option<Line> {
        let Line::Point(values) = line else { return None };
        let letters = self.problem.symbols();
        let is_system = matches!(self.problem, Line::AllOf(_)) && letters.len() == values.len();
        let told = letters.iter().zip(values);
        is_system.then(|| {
            Line::AllOf(told.map(|(l, v)| Line::equation(Expr::symbol(l), v.clone())).collect())
        })
    }

    /// Solutions without a sign as angles in degrees, where such are asked for.
    fn marked(&self, line: &Line) -> Option<Line> {
        (self.asks_degrees && solved(line)).then(|| in_degrees(line.clone()))
    }
}

/// Solutions or a rounded line whose numbers count degrees, whether their sign stands there or not.
fn in_degrees(near: Line) -> Line {
    let degrees = |value: Expr| match value.kind {
        ExprKind::Degree(_) => value,
        _ => ExprKind::Degree(Box::new(value)).into(),
    };
    match near {
        Line::Rounded(value) => Line::Rounded(degrees(value)),
        Line::Relations { mut sides, relations } => {
            let last = sides.pop().map(degrees);
            sides.extend(last);
            Line::Relations { sides, relations }
        }
        Line::AnyOf(lines) => Line::AnyOf(lines.into_iter().map(in_degrees).collect()),
        other => other,
    }
}

/// Said beside a rounded value that was written with an equals sign.
pub(super) const WRITE_NEARLY: &str = "Right. It is rounded, so write ≈ for it.";
/// Said where the sign of degrees is missing.
const WRITE_DEGREES: &str = "Right in degrees. Write ° behind the angle.";
/// Said beside a line that may have brought in a solution.
const KEEP_FOR_THE_CHECK: &str = "This step may add a solution: check at the end.";
