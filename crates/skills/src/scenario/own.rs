//! Stories that can be told of a teacher's own scenario. Each is `None` where the bee garden tells it: without a scenario,
//! or where no thing of it comes in such numbers.

use super::{name, two_names};
use std::sync::Arc;
use teaching::draw::Draw;
use teaching::scenario::{OwnScenario, OwnThing};

/// A story with its answer.
pub struct Told {
    /// What is asked.
    pub prompt: String,
    /// The answer in words.
    pub sentence: String,
    /// The unit of the answer, plural.
    pub unit: String,
}

/// A thing of the scenario that may come in all these numbers.
fn thing(
    draw: &mut Draw,
    fits: impl Fn(&OwnThing) -> bool,
) -> Option<(Arc<OwnScenario>, OwnThing)> {
    let world = draw.world()?;
    let fitting: Vec<&OwnThing> = world.things.iter().filter(|thing| fits(thing)).collect();
    if fitting.is_empty() {
        return None;
    }
    let chosen = (**draw.one_of(&fitting)).clone();
    Some((world, chosen))
}

fn verb(n: i64) -> &'static str {
    if n == 1 { "is" } else { "are" }
}

/// `p`% of `whole` is asked for.
pub fn percent_part(draw: &mut Draw, p: i64, whole: i64, part: i64) -> Option<Told> {
    let (world, thing) = thing(draw, |thing| thing.may_be(whole))?;
    let (place, all, many) = (&world.place, thing.amount(whole), thing.name());
    let (them, are) = (thing.pronoun(), if thing.of.is_empty() { "are" } else { "is" });
    let person = name(draw);
    let (prompt, sentence) = match draw.between(0, 2) {
        0 => (
            format!(
                "There are {all} at {place}. {p}% of {them} {are} needed today. How many {many} are needed?"
            ),
            format!("{} {} needed.", thing.amount(part), verb(part)),
        ),
        1 => (
            format!(
                "{person} finds {all} at {place} and takes {p}% of {them}. How many {many} does {person} take?"
            ),
            format!("{person} takes {}.", thing.amount(part)),
        ),
        _ => (
            format!("Of {all} at {place}, {p}% {are} new. How many {many} are new?"),
            format!("{} {} new.", thing.amount(part), verb(part)),
        ),
    };
    Some(Told { prompt, sentence, unit: thing.many })
}

/// The whole is asked for.
pub fn percent_whole(draw: &mut Draw, p: i64, whole: i64, part: i64) -> Option<Told> {
    let (world, thing) = thing(draw, |thing| thing.may_be(whole))?;
    let person = name(draw);
    Some(Told {
        prompt: format!(
            "{person} counts {} at {}. That is {p}% of all. How many {} are there in all?",
            thing.amount(part),
            world.place,
            thing.name()
        ),
        sentence: format!("There are {} in all.", thing.amount(whole)),
        unit: thing.many,
    })
}

/// The percent is asked for.
pub fn percent_rate(draw: &mut Draw, p: i64, whole: i64, part: i64) -> Option<Told> {
    let (world, thing) = thing(draw, |thing| thing.may_be(whole))?;
    Some(Told {
        prompt: format!(
            "Of {} at {}, {part} {} used up. What percent is that?",
            thing.amount(whole),
            world.place,
            verb(part)
        ),
        sentence: format!("{p}% is used up."),
        unit: "%".into(),
    })
}

/// More or less than before, by `p`%.
pub fn percent_change(draw: &mut Draw, p: i64, up: bool, old: i64, new: i64) -> Option<Told> {
    let (world, thing) = thing(draw, |thing| thing.may_be(old) && thing.may_be(new))?;
    let than = if up { "more" } else { "less" };
    Some(Told {
        prompt: format!(
            "Last year {} were needed at {}. This year it is {p}% {than}. How many {} are needed this year?",
            thing.amount(old),
            world.place,
            thing.name()
        ),
        sentence: format!("{} {} needed this year.", thing.amount(new), verb(new)),
        unit: thing.many,
    })
}

/// What two people share: so much of it, in all.
pub fn shared(draw: &mut Draw, total: i64) -> Option<String> {
    thing(draw, |thing| thing.may_be(total)).map(|(_, thing)| thing.name())
}

/// A start, something added, something taken away.
pub fn two_steps(draw: &mut Draw, [a, b, c]: [i64; 3]) -> Option<Told> {
    let (world, thing) = thing(draw, |thing| thing.may_be(a + b) && thing.may_be(a))?;
    let person = name(draw);
    let left = a + b - c;
    Some(Told {
        prompt: format!(
            "There are {} at {}. {person} brings {b} more, and {c} are used. How many {} are left?",
            thing.amount(a),
            world.place,
            thing.name()
        ),
        sentence: format!("{} {} left.", thing.amount(left), verb(left)),
        unit: thing.many,
    })
}

/// A fraction, typeset, of an amount.
pub fn fraction_of(draw: &mut Draw, fraction: &str, all: i64, part: i64) -> Option<Told> {
    let (world, thing) = thing(draw, |thing| thing.may_be(all))?;
    let person = name(draw);
    Some(Told {
        prompt: format!(
            "There are {} at {}. {person} uses {fraction} of {}. How many {} does {person} use?",
            thing.amount(all),
            world.place,
            thing.pronoun(),
            thing.name()
        ),
        sentence: format!("{person} uses {}.", thing.amount(part)),
        unit: thing.many,
    })
}

/// A start `b` and `a` more each week, until there are `c`; the weeks are asked for.
pub fn steady(draw: &mut Draw, [a, b, c, weeks]: [i64; 4]) -> Option<Told> {
    let (world, thing) = thing(draw, |thing| thing.may_be(b) && thing.may_be(c))?;
    let person = name(draw);
    let (start, end, place) = (thing.amount(b), thing.amount(c), &world.place);
    let counted = if weeks == 1 { "week" } else { "weeks" };
    let (prompt, sentence) = if draw.coin() {
        (
            format!(
                "There are {start} at {place}. Every week {a} more are brought. After how many weeks are there {end}?"
            ),
            format!("It takes {weeks} {counted}."),
        )
    } else {
        (
            format!(
                "At {place}, {person} has {start} and gets {a} more every week. After how many weeks does {person} have {end}?"
            ),
            format!("{person} has that much after {weeks} {counted}."),
        )
    };
    Some(Told { prompt, sentence, unit: "weeks".into() })
}

/// `b` and `a` more each week for one person, `d` and `c` more each week for another; the weeks are asked for.
pub fn meeting(draw: &mut Draw, [a, b, c, d, weeks]: [i64; 5]) -> Option<Told> {
    let most = a * weeks + b;
    let (world, thing) = thing(draw, |thing| thing.may_be(b.min(d)) && thing.may_be(most))?;
    let (person, other) = two_names(draw);
    Some(Told {
        prompt: format!(
            "At {}, {person} has {} and gets {a} more each week. {other} has {d} and gets {c} more each week. After how many weeks do they have the same?",
            world.place,
            thing.amount(b)
        ),
        sentence: format!(
            "They have the same after {weeks} {}.",
            if weeks == 1 { "week" } else { "weeks" }
        ),
        unit: "weeks".into(),
    })
}

/// Two things that go together: `a` of one for every `b` of the other. One of `c` and `d` is asked for.
pub struct Together {
    /// The story.
    pub told: Told,
    /// What the rows of a ratio table are called.
    pub rows: [String; 2],
}

/// For `c` of the first, or for `d` of the second, how many of the other go with it?
pub fn together(draw: &mut Draw, [a, b, c, d]: [i64; 4], asks_first: bool) -> Option<Together> {
    let (world, first) = thing(draw, |thing| thing.may_be(a) && thing.may_be(c))?;
    let (_, second) = thing(draw, |thing| *thing != first && thing.may_be(b) && thing.may_be(d))?;
    let (asked, found, known) =
        if asks_first { (&first, c, second.amount(d)) } else { (&second, d, first.amount(c)) };
    Some(Together {
        told: Told {
            prompt: format!(
                "At {}, {} {} reckoned for every {}. How many {} go with {known}?",
                world.place,
                first.amount(a),
                verb(a),
                second.amount(b),
                asked.name()
            ),
            sentence: format!("{} go with {known}.", asked.amount(found)),
            unit: asked.many.clone(),
        },
        rows: [first.name(), second.name()],
    })
}
