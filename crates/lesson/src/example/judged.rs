//! An example as it stands: what was made is made again, and what its teacher wrote is judged as a student's lines are.

use super::base::Base;
use super::{Example, ExampleLine, LONGEST_REASON, MOST_LINES, slip};
use algebra::{Line, Options, Role, read_line_with};
use desk::{DeskLine, JudgedLine, judge, reads_units};
use skills::ladder::Rung;
use skills::typed::{NoWorking, no};
use teaching::verdict::VerdictWord;
use teaching::words::{LONE_DOLLAR, capital, has_lone_dollar, unreadable};
use teaching::working::WorkingLine;

/// A line as it was written for that problem: its mathematics, or its words.
///
/// # Errors
/// [`NoWorking`] with the place that cannot be read.
pub(super) fn written(rung: &Rung, text: &DeskLine) -> Result<WorkingLine, NoWorking> {
    let options =
        Options { latex: text.latex, quantities: reads_units(rung), ..Options::default() };
    let read = read_line_with(&text.text, options).map_err(|error| NoWorking {
        says: unreadable(&error),
        // Nobody sees the LaTeX of the field.
        at: (!text.latex).then_some((error.span.start, error.span.end)),
        mend: error.mend.filter(|_| !text.latex),
    })?;
    if let Line::Sentence(_) = &read.line {
        let words = text.text.trim();
        if words.chars().count() > LONGEST_REASON {
            return Err(no(format!("Keep a line to {LONGEST_REASON} characters.")));
        }
        return Ok(WorkingLine::said(words, "", Role::Concludes));
    }
    Ok(WorkingLine::of(&read.line, "", Role::Follows, VerdictWord::CantTell))
}

/// A reason in the teacher's words.
///
/// # Errors
/// A sentence that says what to do.
pub(super) fn checked_reason(text: &str) -> Result<String, NoWorking> {
    let text = text.trim();
    if text.chars().count() > LONGEST_REASON {
        return Err(no(format!("Keep a reason to {LONGEST_REASON} characters.")));
    }
    if has_lone_dollar(text) {
        return Err(no(LONE_DOLLAR));
    }
    Ok(text.to_owned())
}

impl Example {
    /// The example made again from where it comes from: whatever is called proved was proved here.
    ///
    /// # Errors
    /// [`NoWorking`] when it cannot be made, or its lines do not belong together.
    pub fn again(&self) -> Result<Self, NoWorking> {
        let base = Base::of(self)?;
        if self.working.len() > MOST_LINES {
            return Err(no(format!("An example can have at most {MOST_LINES} lines.")));
        }
        let made = base.lines(self.detail, self.slip.as_ref());
        let made = made.ok_or_else(|| no("This slip cannot be made here. Choose another one."))?;
        let places: Vec<usize> = self.working.iter().filter_map(|line| line.from).collect();
        if !places.into_iter().eq(0..made.len()) {
            return Err(no("The lines of this example do not belong together. Make it again."));
        }
        let mut found = self.clone();
        for line in &mut found.working {
            remake(line, &base.rung, &made)?;
        }
        found.judge(&base.rung);
        if let Some(put_in) = &self.slip {
            for line in found.working.iter_mut().filter(|line| line.is_slip(Some(put_in))) {
                slip::told(put_in.id).clone_into(&mut line.says);
            }
        }
        for at in 0..found.working.len() {
            let folded = found.working[at].folded && found.folds(at);
            let line = &mut found.working[at];
            line.folded = folded;
            let blanks = std::mem::take(&mut line.blanks);
            line.leave_out(&blanks);
        }
        let fresh = base.example(self.drawn.as_ref(), self.detail, self.slip.clone());
        Ok(Self { working: found.working, method: self.method, ..fresh })
    }

    /// Judges the teacher's own lines, and those below them.
    fn judge(&mut self, rung: &Rung) {
        let Some(first) = self.working.iter().position(|line| line.own) else { return };
        // A story's equation is set up by its first line.
        let sets_up = rung.story && !rung.unknown.is_empty();
        let on_desk: Vec<usize> = (0..self.working.len())
            .filter(|&at| {
                let line = &self.working[at].line;
                line.latex.is_some() && (sets_up || line.role != Role::Starts)
            })
            .collect();
        let written = on_desk.iter().map(|&at| {
            let text = self.working[at].line.latex.clone().unwrap_or_default();
            DeskLine { text, latex: true }
        });
        let judged = judge(rung, &written.collect::<Vec<_>>()).lines;
        let mut is_below_own = false;
        for (at, told) in on_desk.into_iter().zip(judged) {
            if at < first {
                continue;
            }
            let line = &mut self.working[at];
            take(line, &told, line.own || is_below_own);
            is_below_own = line.own;
        }
    }
}

/// What was made stands as it was made; what was written is read again.
fn remake(line: &mut ExampleLine, rung: &Rung, made: &[WorkingLine]) -> Result<(), NoWorking> {
    let reason = match line.reworded {
        true => Some(checked_reason(&line.line.reason)?),
        false => None,
    };
    line.says.clear();
    line.own |= line.from.is_none();
    let base = line.from.and_then(|from| made.get(from));
    line.line = match base {
        Some(base) if !line.own => base.clone(),
        _ if base.is_some_and(|base| base.role == Role::Starts) => {
            return Err(no("This is the problem itself. Change it above."));
        }
        _ => written(rung, &DeskLine { text: line.line.math.clone(), latex: false })?,
    };
    if let Some(reason) = reason {
        line.line.reason = reason;
    }
    Ok(())
}

/// What the desk says of a line; its reason is named anew where the line above is another one than it was made for.
fn take(line: &mut ExampleLine, told: &JudgedLine, names_reason: bool) {
    line.line.verdict = told.verdict.word;
    let slip = told.slip.map_or("", slip::told);
    line.says = [slip, &told.verdict.says].join(" ").trim().to_owned();
    if let (true, Some(role)) = (line.own, told.role) {
        line.line.role = role;
    }
    if names_reason && !line.reworded && (line.own || !told.verdict.made.is_empty()) {
        line.line.reason = capital(&told.verdict.made);
    }
}
