//! Somebody's working: numbered lines, one of which breaks by a slip of the skill — sometimes an early one, sometimes a
//! late one, now and then none.

use super::Rung;
use crate::slipped::{above, broken, may_break, setting, written};
use algebra::write::{latex_line, text_line};
use algebra::{Line, Relation, Role, StepVerdict, compare_given};
use serde::{Deserialize, Serialize};
use teaching::draw::Draw;
use teaching::ids::SlipId;
use teaching::problem::Flawed;
use teaching::skill::Skill;
use teaching::slips::{SLIPS, Slip};
use teaching::verdict::VerdictWord;
use teaching::working::WorkingLine;
use utoipa::ToSchema;

/// Fewest and most lines, where there is a choice.
const LINES: std::ops::RangeInclusive<usize> = 3..=5;
/// Slips that a class makes in the middle of a working, whatever the skill: others are made by rule too, but look odd
/// outside their own skill.
const ANYWHERE: &[&str] = &[
    "added-denominators",
    "added-exponents-of-power",
    "carry-forgotten",
    "divided-one-term",
    "divided-wrong-way",
    "exponent-as-factor",
    "fact-off",
    "first-and-last-only",
    "kept-sign-when-moving",
    "like-terms-multiplied",
    "minus-times-minus",
    "multiplied-exponents",
    "multiplied-one-term",
    "one-lost-in-factoring",
    "pair-brought-out",
    "powers-added",
    "root-of-each-term",
    "second-term-not-multiplied",
    "sign-lost-in-bracket",
    "smaller-from-larger-digit",
    "squared-each-term",
    "subtracted-instead-of-dividing",
    "took-away-a-negative",
    "top-not-scaled",
];
/// So many are enough to choose from.
const ENOUGH: usize = 4;
/// One in so many workings has no slip.
const NONE_BREAKS: i64 = 7;

/// Somebody's working, the line that breaks in it, and why.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct FlawedWorking {
    /// Who wrote it.
    pub name: String,
    /// The lines, the problem first.
    pub lines: Vec<FlawedLine>,
    /// Which line breaks, from 1; absent where every line holds.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub breaks: Option<usize>,
    /// The slip in it.
    #[serde(
        default,
        skip_serializing_if = "Option::is_none",
        deserialize_with = "crate::ids::slip_if_any"
    )]
    #[schema(value_type = Option<crate::ids::SlipName>)]
    pub slip: Option<SlipId>,
}

/// One line of somebody's working.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct FlawedLine {
    /// In plain mathematics.
    pub math: String,
    /// For typesetting.
    pub latex: String,
}

impl FlawedLine {
    /// A line below another one that says what it comes to begins with its sign.
    fn of(line: &Line, is_first: bool) -> Self {
        let sign = match line {
            Line::Expression(_) if !is_first => "= ",
            _ => "",
        };
        Self {
            math: format!("{sign}{}", text_line(line)),
            latex: format!("{sign}{}", latex_line(line)),
        }
    }
}

/// A working that could be somebody's.
struct Candidate {
    lines: Vec<Line>,
    breaks: usize,
    slip: SlipId,
}

/// Somebody's working of a proved rung: the skill's own, or one in which another of its slips is made.
pub(super) fn of(skill: &dyn Skill, own: &Flawed, rung: &Rung) -> FlawedWorking {
    let draw = &mut Draw::new(0, &rung.prompt);
    let right: Vec<Line> =
        rung.working.iter().filter(|line| line.carries()).filter_map(WorkingLine::read).collect();
    if LINES.contains(&right.len()) && draw.between(1, NONE_BREAKS) == 1 {
        return told(&own.name, &right, None);
    }
    let mut candidates = made(skill, rung, draw);
    candidates.push(Candidate { lines: own.lines.clone(), breaks: own.breaks, slip: own.slip });
    // Each slip has the same chance, however many lines it could be made in.
    let mut slips: Vec<SlipId> = candidates.iter().map(|found| found.slip).collect();
    slips.sort_unstable();
    slips.dedup();
    let slip = *draw.one_of(&slips);
    candidates.retain(|found| found.slip == slip);
    let found = draw.one_of(&candidates);
    told(&own.name, &found.lines, Some((found.breaks, found.slip)))
}

/// Workings in which a slip is made by rule: those of the skill first, then any that can be made there.
fn made(skill: &dyn Skill, rung: &Rung, draw: &mut Draw) -> Vec<Candidate> {
    let setting = setting(rung);
    let all: Vec<&'static dyn Slip> =
        SLIPS.iter().copied().filter(|slip| ANYWHERE.contains(&slip.id().as_str())).collect();
    let turn = usize::try_from(draw.between(0, 1_000)).unwrap_or_default() % all.len();
    let all = all[turn..].iter().chain(&all[..turn]);
    let mut found: Vec<Candidate> = Vec::new();
    for slip in skill.slips().iter().chain(all) {
        if found.len() >= ENOUGH {
            break;
        }
        for (at, line) in rung.working.iter().enumerate() {
            let Some(above) = above(rung, at).filter(|_| may_break(line)) else { continue };
            let wrong = written(*slip, &above, line, &setting).into_iter();
            let first = wrong.filter_map(|wrong| {
                let lines = broken(rung, at, &wrong)?;
                candidate(&lines, slip.id(), rung)
            });
            found.extend(first.take(1));
        }
    }
    found
}

/// A working with a slip, when it is as long as one should be, breaks once, and ends elsewhere than at the answer.
fn candidate(lines: &[WorkingLine], slip: SlipId, rung: &Rung) -> Option<Candidate> {
    let setting = setting(rung);
    let all_read: Vec<(Line, bool)> = lines
        .iter()
        .filter(|line| line.carries())
        .map(|line| Some((line.read()?, line.verdict == VerdictWord::Breaks)))
        .collect::<Option<_>>()?;
    let breaks = all_read.iter().position(|(_, breaks)| *breaks)?;
    let mut lines: Vec<Line> = all_read.into_iter().map(|(line, _)| line).collect();
    // The wrong line may be the end already.
    lines.dedup_by_key(|line| text_line(line));
    let follows = |pair: &[Line]| {
        matches!(compare_given(&pair[0], &pair[1], &setting), StepVerdict::Equivalent { .. })
    };
    let others_hold =
        lines.windows(2).enumerate().all(|(at, pair)| at + 1 == breaks || follows(pair));
    let is_rounded = |line: &Line| {
        matches!(line, Line::Rounded(_))
            || matches!(line, Line::Relations { relations, .. }
                if relations.contains(&Relation::Approximate))
    };
    let is_sound = LINES.contains(&lines.len())
        && others_hold
        && !lines.iter().any(is_rounded)
        && !follows(&[lines.first()?.clone(), lines.last()?.clone()]);
    is_sound.then_some(Candidate { lines, breaks, slip })
}

fn told(name: &str, lines: &[Line], broken: Option<(usize, SlipId)>) -> FlawedWorking {
    FlawedWorking {
        name: name.to_owned(),
        lines: lines.iter().enumerate().map(|(at, line)| FlawedLine::of(line, at == 0)).collect(),
        breaks: broken.map(|(at, _)| at + 1),
        slip: broken.map(|(_, slip)| slip),
    }
}

/// What is asked of somebody's working.
pub(super) const ASKED: &str = "Which line breaks, if one does? Write it as it should be.";

/// The key of a rung with somebody's working: the line that breaks is quoted, the reason said, and the right working
/// goes on from there.
pub(super) fn key(skill: &dyn Skill, rung: &mut Rung) {
    let Some(flawed) = &rung.flawed else { return };
    let end = std::mem::take(&mut rung.answer.text);
    let Some(at) = flawed.breaks else {
        rung.answer.text = format!("Every line holds: {end}");
        rung.working.insert(0, WorkingLine::said("Every line holds.", "", Role::Starts));
        return;
    };
    let wrong = &flawed.lines[at - 1];
    let mut known = skill.slips().iter().chain(SLIPS);
    let known = known.find(|slip| Some(slip.id()) == flawed.slip);
    let why = known.map_or("", |slip| slip.to_teacher());
    let (shared, from) = mended(rung, flawed, at);
    let should_be = rung.working.get(from).map_or_else(String::new, |line| line.math.clone());
    let sentence = format!("Line {at}, ${}$, breaks.", wrong.latex);
    rung.answer.text = if should_be.is_empty() || should_be == end {
        format!("Line {at} breaks; {end}")
    } else {
        format!("Line {at} breaks; it should be {should_be}; {end}")
    };
    // The problem, and what should have followed: what is right in between is not said again. What leads from there
    // to the mended line stays.
    let stays = shared.map_or(from, |line| (line + 1).min(from));
    rung.working.drain(1.min(stays)..stays);
    rung.working.insert(0, WorkingLine::said(&sentence, why, Role::Starts));
}

/// The last line that the right working shares with somebody's above line `at`, from 1, and the line that should have
/// stood there.
fn mended(rung: &Rung, flawed: &FlawedWorking, at: usize) -> (Option<usize>, usize) {
    let above = &flawed.lines[at - 2].math;
    let plain = |text: &str| text.trim_start_matches("= ").to_owned();
    let carried: Vec<usize> =
        (0..rung.working.len()).filter(|&line| rung.working[line].carries()).collect();
    let shared = carried.iter().rposition(|&line| rung.working[line].math == plain(above));
    let next = shared.map_or(at - 1, |shared| shared + 1).min(carried.len().saturating_sub(1));
    let should_be = carried.get(next).copied().unwrap_or_default();
    (shared.map(|shared| carried[shared]), should_be)
}
