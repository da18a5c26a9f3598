//! Amounts: units, shares, half-lives, and numbers that grow by steps.

use crate::typed::words::{Told, are_positive, conversion, written};
use algebra::Rational;
use algebra::number::from_int;
use num_traits::{One, Signed, ToPrimitive, Zero};
use teaching::typeset::Lines;

/// A measure in another unit, a square or a cube of one too.
pub(super) fn converted(text: &str) -> Option<Lines> {
    let (number, from, to) = conversion(text)?;
    if from == to {
        return None;
    }
    let factor = from.factor() / to.factor();
    let (one, other, times, sign) = if factor >= Rational::one() {
        (&from, &to, factor.clone(), '×')
    } else {
        (&to, &from, factor.recip(), '÷')
    };
    let value = written(&(&number.value * &factor));
    Some(
        Lines::start_measured(&format!("{} {from}", number.text))
            .work(
                &format!("1 {one} = {} {other}", written(&times)),
                "How many of the smaller unit make one of the larger",
            )
            .then(&format!("{value} {to}"), format!("{} {sign} {}", number.text, written(&times))),
    )
}

pub(super) fn shared(n: &[Told]) -> Option<Lines> {
    let [total, a, b] = n else { return None };
    if !are_positive(n) {
        return None;
    }
    let parts = &a.value + &b.value;
    let one = &total.value / &parts;
    let share = |of: &Told| written(&(&one * &of.value));
    let (first, second) = (share(a), share(b));
    Some(
        Lines::start(&format!("{}:{}", a.text, b.text))
            .work(&format!("{} + {} = {}", a.text, b.text, written(&parts)), "All parts together")
            .work(&format!("{} ÷ {} = {}", total.text, written(&parts), written(&one)), "One part")
            .then(
                &format!("({first}):({second})"),
                format!("{} parts and {} parts", a.text, b.text),
            )
            .work(
                &format!("{first} + {second} = {}", total.text),
                "Check: together they make the whole",
            ),
    )
}

pub(super) fn faded(n: &[Told]) -> Option<Lines> {
    let [half_life, start, time] = n else { return None };
    if !are_positive(n) {
        return None;
    }
    let times = &time.value / &half_life.value;
    let whole = times
        .is_integer()
        .then(|| times.to_integer().to_i64())?
        .filter(|n| (1..=12).contains(n))?;
    let mut lines =
        Lines::start(&format!("{} × (1/2)^({}/{})", start.text, time.text, half_life.text));
    let mut now = start.value.clone();
    for step in 1..=whole {
        now /= from_int(2);
        let (over, left) = (whole - step, written(&now));
        let rest = match over {
            0 => left,
            1 => format!("({left}) × (1/2)"),
            _ => format!("({left}) × (1/2)^{over}"),
        };
        lines = lines.then(&rest, format!("Halve what is left ({step} of {whole})"));
    }
    Some(lines)
}

pub(super) fn nth_term(n: &[Told]) -> Option<Lines> {
    let [first, second, rest @ ..] = n else { return None };
    let step = &second.value - &first.value;
    let mut before = &second.value;
    for told in rest {
        if &told.value - before != step {
            return None;
        }
        before = &told.value;
    }
    let start = &first.value - &step;
    let (step_text, start_text) = (written(&step), written(&start));
    let rule = match (step.is_one(), start.is_zero(), start.is_negative()) {
        (true, true, _) => "n".to_owned(),
        (true, _, true) => format!("n - {}", written(&start.abs())),
        (true, ..) => format!("n + {start_text}"),
        (_, true, _) => format!("({step_text})n"),
        (_, _, true) => format!("({step_text})n - {}", written(&start.abs())),
        _ => format!("({step_text})n + {start_text}"),
    };
    let last = n.last()?;
    Some(
        Lines::default()
            .work(
                &format!("{} - {} = {step_text}", second.text, first.text),
                "The common difference",
            )
            .begin(&format!("{} + (n - 1) × ({step_text})", first.text), "First term and steps")
            .then(&rule, "Multiply out and collect")
            .work(
                &format!("({step_text}) × {} + ({start_text}) = {}", n.len(), last.text),
                "Check with the last term",
            ),
    )
}
