//! Tasks that are typed in words: each with the skill it belongs to and its working.
//!
//! A working here holds for whatever numbers are typed, and is proved like every other before it is shown.

use super::words::{Told, conversion, matched, written};
use crate::typeset::Lines;
use algebra::Rational;
use algebra::number::{from_int, round_to_places, to_decimal_text};
use num_integer::Integer;
use num_traits::{One, Signed, ToPrimitive, Zero};

/// A task with its working.
pub(super) struct Task {
    /// The skill's id.
    pub skill: &'static str,
    /// The id of the method, one of the skill's.
    pub method: &'static str,
    /// The lines.
    pub lines: Lines,
}

/// A kind of task.
struct Kind {
    skill: &'static str,
    method: &'static str,
    patterns: &'static [&'static str],
    /// `None` for numbers with which there is no such task.
    lines: fn(&[Told]) -> Option<Lines>,
}

/// The task that a text asks for.
pub(super) fn recognise(text: &str) -> Option<Task> {
    if let Some(lines) = converted(text) {
        return Some(Task { skill: "measure.convert", method: "scale-factor", lines });
    }
    KINDS.iter().find_map(|kind| {
        let numbers = matched(text, kind.patterns)?;
        let lines = (kind.lines)(&numbers)?;
        Some(Task { skill: kind.skill, method: kind.method, lines })
    })
}

const KINDS: &[Kind] = &[
    Kind {
        skill: "percent.part",
        method: "decimal",
        patterns: &["#% of #", "# percent of #", "# per cent of #"],
        lines: percent_of,
    },
    Kind {
        skill: "percent.whole",
        method: "decimal-and-divide",
        patterns: &[
            "# is #% of what",
            "# is #% of what number",
            "# is # percent of what",
            "# is # percent of what number",
        ],
        lines: whole_of,
    },
    Kind {
        skill: "percent.rate",
        method: "quotient",
        patterns: &[
            "# is what percent of #",
            "# is what % of #",
            "what percent is # of #",
            "what percent of # is #",
        ],
        lines: rate_of,
    },
    Kind {
        skill: "percent.change",
        method: "multiplier",
        patterns: &["increase # by #%", "# increased by #%", "raise # by #%", "# plus #%"],
        lines: increased,
    },
    Kind {
        skill: "percent.change",
        method: "multiplier",
        patterns: &["decrease # by #%", "# decreased by #%", "reduce # by #%", "# minus #%"],
        lines: decreased,
    },
    Kind {
        skill: "percent.change",
        method: "multiplier",
        patterns: &["#% off #", "# percent off #"],
        lines: off,
    },
    Kind {
        skill: "rounding.significant",
        method: "mark-the-figures",
        patterns: &[
            "round # to # s f",
            "round # to # sf",
            "round # to # sig figs",
            "round # to # significant figures",
            "round # to # significant figure",
            "# to # s f",
            "# to # sf",
            "# to # significant figures",
        ],
        lines: to_figures,
    },
    Kind {
        skill: "rounding.places",
        method: "next-digit",
        patterns: &[
            "round # to # d p",
            "round # to # dp",
            "round # to # decimal places",
            "round # to # decimal place",
            "# to # dp",
            "# to # decimal places",
        ],
        lines: to_places,
    },
    Kind {
        skill: "rounding.places",
        method: "next-digit",
        patterns: &["round # to the nearest #", "# to the nearest #"],
        lines: to_nearest,
    },
    Kind {
        skill: "ratio.share",
        method: "one-part-first",
        patterns: &[
            "share # in #:#",
            "share # in the ratio #:#",
            "divide # in the ratio #:#",
            "split # in the ratio #:#",
            "split # in #:#",
            "divide # in #:#",
        ],
        lines: shared,
    },
    Kind {
        skill: "exponential.half-life",
        method: "halve-step-by-step",
        patterns: &[
            "half-life # days # g # days",
            "half-life # hours # g # hours",
            "half-life # days # mg # days",
            "half-life # hours # mg # hours",
            "half-life # years # g # years",
            "half-life # minutes # g # minutes",
        ],
        lines: faded,
    },
    Kind {
        skill: "bases.convert",
        method: "repeated-division",
        patterns: &["convert # to binary", "# in binary", "write # in binary", "# to binary"],
        lines: in_binary,
    },
    Kind {
        skill: "bases.convert",
        method: "place-value-columns",
        patterns: &[
            "convert binary # to decimal",
            "binary # in decimal",
            "# binary to decimal",
            "convert # from binary to decimal",
            "convert # from binary",
        ],
        lines: from_binary,
    },
    Kind {
        skill: "primes.factor-tree",
        method: "tree",
        patterns: &[
            "prime factors of #",
            "prime factorisation of #",
            "prime factorization of #",
            "factorise # into primes",
            "write # as a product of primes",
        ],
        lines: into_primes,
    },
    Kind {
        skill: "primes.factor-tree",
        method: "tree",
        patterns: &[
            "hcf of # and #",
            "gcd of # and #",
            "highest common factor of # and #",
            "greatest common divisor of # and #",
        ],
        lines: highest_common,
    },
    Kind {
        skill: "primes.factor-tree",
        method: "tree",
        patterns: &[
            "lcm of # and #",
            "least common multiple of # and #",
            "lowest common multiple of # and #",
        ],
        lines: least_common,
    },
    Kind {
        skill: "pythagoras",
        method: "formula",
        patterns: &[
            "hypotenuse with legs # and #",
            "hypotenuse of legs # and #",
            "hypotenuse # and #",
            "hypotenuse legs # #",
        ],
        lines: hypotenuse,
    },
    Kind {
        skill: "pythagoras",
        method: "formula",
        patterns: &[
            "leg with hypotenuse # and leg #",
            "leg with hypotenuse # and other leg #",
            "other leg with hypotenuse # and leg #",
        ],
        lines: leg,
    },
    Kind {
        skill: "area.triangle",
        method: "formula",
        patterns: &[
            "area of a triangle with base # and height #",
            "area of triangle with base # and height #",
            "area of triangle base # height #",
            "triangle base # height # area",
        ],
        lines: triangle,
    },
    Kind {
        skill: "circle.area",
        method: "pi-r-squared",
        patterns: &[
            "area of a circle with radius #",
            "area of circle with radius #",
            "area of circle radius #",
            "circle radius # area",
        ],
        lines: circle_area,
    },
    Kind {
        skill: "circle.circumference",
        method: "two-pi-r",
        patterns: &[
            "circumference of a circle with radius #",
            "circumference of circle with radius #",
            "circumference of circle radius #",
            "circumference with radius #",
        ],
        lines: circumference,
    },
    Kind {
        skill: "circle.circumference",
        method: "pi-d",
        patterns: &[
            "circumference of a circle with diameter #",
            "circumference of circle with diameter #",
            "circumference of circle diameter #",
            "circumference with diameter #",
        ],
        lines: circumference_of_diameter,
    },
    Kind {
        skill: "fractions.lowest-terms",
        method: "highest-common-factor",
        patterns: &[
            "#/# in lowest terms",
            "simplify #/#",
            "reduce #/#",
            "write #/# in lowest terms",
            "#/# in simplest form",
        ],
        lines: lowest_terms,
    },
    Kind {
        skill: "sequences.linear-geometric",
        method: "difference-table",
        patterns: &[
            "nth term of # # # #",
            "nth term of # # #",
            "nth term # # # #",
            "rule for # # # #",
        ],
        lines: nth_term,
    },
];

/// A measure in another unit, a square or a cube of one too.
fn converted(text: &str) -> Option<Lines> {
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

fn hundred() -> Rational {
    from_int(100)
}

fn is_positive(numbers: &[Told]) -> bool {
    numbers.iter().all(|told| told.value.is_positive())
}

fn percent_of(n: &[Told]) -> Option<Lines> {
    let [percent, whole] = n else { return None };
    let factor = &percent.value / hundred();
    let (factor_text, part) = (written(&factor), written(&(&factor * &whole.value)));
    Some(
        Lines::start(&format!("{}% of {}", percent.text, whole.text))
            .then(
                &format!("({factor_text}) × {}", whole.text),
                format!("{}% is {factor_text}", percent.text),
            )
            .then(&part, "Multiply"),
    )
}

fn whole_of(n: &[Told]) -> Option<Lines> {
    let [part, percent] = n else { return None };
    let factor = &percent.value / hundred();
    if factor.is_zero() {
        return None;
    }
    let (factor_text, whole) = (written(&factor), written(&(&part.value / &factor)));
    Some(
        Lines::start(&format!("({factor_text}) × n = {}", part.text))
            .then(
                &format!("n = {} ÷ ({factor_text})", part.text),
                format!("Divide both sides by {factor_text}, which is {}%", percent.text),
            )
            .then(&format!("n = {whole}"), "Divide"),
    )
}

fn rate_of(n: &[Told]) -> Option<Lines> {
    let [part, whole] = n else { return None };
    if whole.value.is_zero() {
        return None;
    }
    let rate = &part.value / &whole.value;
    let percent = written(&(&rate * hundred()));
    Some(
        Lines::start(&format!("{}/{}", part.text, whole.text))
            .then(&format!("({} × 100/{})%", part.text, whole.text), "Percent means of a hundred")
            .then(
                &if percent.contains('/') {
                    format!("({percent})%")
                } else {
                    format!("{percent}%")
                },
                "Work it out",
            ),
    )
}

fn changed(n: &[Told], up: bool) -> Option<Lines> {
    let [old, percent] = n else { return None };
    let share = &percent.value / hundred();
    let factor = if up { Rational::one() + &share } else { Rational::one() - &share };
    let sign = if up { '+' } else { '-' };
    let (factor_text, new) = (written(&factor), written(&(&factor * &old.value)));
    Some(
        Lines::start(&format!("{} {sign} {}% of {}", old.text, percent.text, old.text))
            .then(
                &format!("({factor_text}) × {}", old.text),
                format!("The multiplier is {factor_text}"),
            )
            .then(&new, "Multiply"),
    )
}

fn increased(n: &[Told]) -> Option<Lines> {
    changed(n, true)
}

fn decreased(n: &[Told]) -> Option<Lines> {
    changed(n, false)
}

fn off(n: &[Told]) -> Option<Lines> {
    let [percent, old] = n else { return None };
    changed(&[old.clone(), percent.clone()], false)
}

/// A number rounded to whole multiples of ten to that power, shown with its claim.
fn rounded(told: &Told, places: i32) -> Option<(String, Lines)> {
    let unit = if places >= 0 {
        Rational::new(1.into(), 10_i64.checked_pow(places.unsigned_abs())?.into())
    } else {
        from_int(10_i64.checked_pow(places.unsigned_abs())?)
    };
    let scaled = &told.value / &unit;
    let near = round_to_places(&scaled, 0) * &unit;
    let half = &unit / from_int(2);
    let places = u32::try_from(places).unwrap_or(0);
    let shown = to_decimal_text(&near, places);
    let (low, high) = (written(&(&near - &half)), written(&(&near + &half)));
    let lines = Lines::default()
        .work(
            &format!("{low} <= {} < {high}", told.text),
            "It lies nearer to this multiple than to any other",
        )
        .begin(&told.text, "The number")
        .round(&format!("≈ {shown}"), "Rounded");
    // A tie stands at the lower end of what rounds up.
    (near.is_positive() || near.is_zero()).then_some((shown, lines))
}

fn small(told: &Told, most: i64) -> Option<i64> {
    told.value
        .is_integer()
        .then(|| told.value.to_integer().to_i64())?
        .filter(|n| (0..=most).contains(n))
}

fn to_figures(n: &[Told]) -> Option<Lines> {
    let [number, figures] = n else { return None };
    let figures = i32::try_from(small(figures, 8).filter(|n| *n > 0)?).ok()?;
    if number.value.is_zero() {
        return None;
    }
    // The place of the first figure that is not zero.
    let first = (-9..=12).rev().find(|&power: &i32| {
        let unit = if power >= 0 {
            from_int(10_i64.pow(power.unsigned_abs()))
        } else {
            Rational::new(1.into(), 10_i64.pow(power.unsigned_abs()).into())
        };
        number.value >= unit
    })?;
    rounded(number, figures - 1 - first).map(|(_, lines)| lines)
}

fn to_places(n: &[Told]) -> Option<Lines> {
    let [number, places] = n else { return None };
    rounded(number, i32::try_from(small(places, 8)?).ok()?).map(|(_, lines)| lines)
}

fn to_nearest(n: &[Told]) -> Option<Lines> {
    let [number, unit] = n else { return None };
    let power = (0..=6).find(|&power| unit.value == from_int(10_i64.pow(power)))?;
    rounded(number, -i32::try_from(power).ok()?).map(|(_, lines)| lines)
}

fn shared(n: &[Told]) -> Option<Lines> {
    let [total, a, b] = n else { return None };
    if !is_positive(n) {
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

fn faded(n: &[Told]) -> Option<Lines> {
    let [half_life, start, time] = n else { return None };
    if !is_positive(n) {
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
            1 => format!("({left}) × 1/2"),
            _ => format!("({left}) × (1/2)^{over}"),
        };
        lines = lines.then(&rest, format!("Halve, time number {step}"));
    }
    Some(lines)
}

fn in_binary(n: &[Told]) -> Option<Lines> {
    let [number] = n else { return None };
    let value = small(number, 1 << 24).filter(|n| *n > 0)?;
    let mut lines = Lines::start(&value.to_string());
    let mut rest = value;
    while rest > 0 {
        lines = lines.work(
            &format!("{rest} = {} × 2 + {}", rest / 2, rest % 2),
            format!("Remainder {}", rest % 2),
        );
        rest /= 2;
    }
    Some(lines.then(&format!("{value:b}_2"), "Read the remainders from the last to the first"))
}

fn from_binary(n: &[Told]) -> Option<Lines> {
    let [number] = n else { return None };
    let value = i64::from_str_radix(&number.text, 2).ok()?;
    let digits = number.text.bytes().rev().enumerate().filter(|(_, digit)| *digit == b'1');
    let mut worth: Vec<String> = digits.map(|(at, _)| (1_i64 << at).to_string()).collect();
    worth.reverse();
    let sum = if worth.is_empty() { "0".to_owned() } else { worth.join(" + ") };
    Some(
        Lines::start(&format!("{}_2", number.text))
            .then(&sum, "Write what each place with a 1 is worth")
            .then(&value.to_string(), "Add them up"),
    )
}

/// The prime factors of a number up to ten million, from the smallest.
fn primes(told: &Told) -> Option<(i64, Vec<i64>)> {
    let number = small(told, 10_000_000).filter(|n| *n > 1)?;
    let (mut rest, mut found, mut by) = (number, Vec::new(), 2);
    while by * by <= rest {
        while rest % by == 0 {
            found.push(by);
            rest /= by;
        }
        by += 1;
    }
    if rest > 1 {
        found.push(rest);
    }
    Some((number, found))
}

fn product(factors: &[i64]) -> String {
    let all: Vec<String> = factors.iter().map(i64::to_string).collect();
    if all.is_empty() { "1".into() } else { all.join(" × ") }
}

fn into_primes(n: &[Told]) -> Option<Lines> {
    let [told] = n else { return None };
    let (number, factors) = primes(told)?;
    let mut lines = Lines::start(&number.to_string());
    for split in 1..factors.len() {
        let rest: i64 = factors[split..].iter().product();
        let typed = format!("{} × {rest}", product(&factors[..split]));
        lines = lines.then(&typed, format!("Take out {}", factors[split - 1]));
    }
    if factors.len() == 1 {
        lines = lines.then(&number.to_string(), "It is prime");
    }
    Some(lines)
}

fn common(n: &[Told], highest: bool) -> Option<Lines> {
    let [one, other] = n else { return None };
    let ((a, first), (b, second)) = (primes(one)?, primes(other)?);
    let value = if highest { a.gcd(&b) } else { a.lcm(&b) };
    let told = Told { text: value.to_string(), value: from_int(value) };
    let factors = primes(&told).map_or_else(Vec::new, |(_, factors)| factors);
    let (name, why) = if highest {
        ("hcf", "The factors that both have")
    } else {
        ("lcm", "Every factor as often as it is needed")
    };
    let mut lines = Lines::start(&format!("{name}({a}, {b})"))
        .work(&format!("{a} = {}", product(&first)), "The prime factors of the first")
        .work(&format!("{b} = {}", product(&second)), "and of the second");
    if factors.len() > 1 {
        lines = lines.then(&product(&factors), why);
        return Some(lines.then(&value.to_string(), "Multiply"));
    }
    Some(lines.then(&value.to_string(), why))
}

fn highest_common(n: &[Told]) -> Option<Lines> {
    common(n, true)
}

fn least_common(n: &[Told]) -> Option<Lines> {
    common(n, false)
}

/// A root worked as far as it goes: a number, or a simplified root.
fn rooted(lines: Lines, radicand: &Rational) -> Option<Lines> {
    let typed = format!("sqrt({})", written(radicand));
    let algebra::Line::Expression(root) = crate::typeset::line(&typed) else { return None };
    let simplest = crate::tasks::simplify(&root).ok()?.working;
    let last = simplest.last_line().map(algebra::write::text_line)?;
    let lines = lines.then(&typed, "Work out what stands under the root");
    Some(if last == algebra::write::text(&root) {
        lines
    } else {
        lines.then(&last, "Take the root")
    })
}

fn hypotenuse(n: &[Told]) -> Option<Lines> {
    let [a, b] = n else { return None };
    if !is_positive(n) {
        return None;
    }
    let square = &a.value * &a.value + &b.value * &b.value;
    rooted(Lines::start(&format!("sqrt({}^2 + {}^2)", a.text, b.text)), &square)
}

fn leg(n: &[Told]) -> Option<Lines> {
    let [c, a] = n else { return None };
    if !is_positive(n) || c.value <= a.value {
        return None;
    }
    let square = &c.value * &c.value - &a.value * &a.value;
    rooted(Lines::start(&format!("sqrt({}^2 - {}^2)", c.text, a.text)), &square)
}

fn triangle(n: &[Told]) -> Option<Lines> {
    let [base, height] = n else { return None };
    let whole = &base.value * &height.value;
    Some(
        Lines::start(&format!("1/2 × {} × {}", base.text, height.text))
            .then(&format!("1/2 × {}", written(&whole)), "Multiply base and height")
            .then(&written(&(whole / from_int(2))), "Take the half"),
    )
}

fn with_pi(lines: Lines, factor: &Rational) -> Lines {
    let exact = format!("({})π", written(factor));
    let near = crate::tasks::rounded(&value_of(&exact), 1).unwrap_or_default();
    lines.then(&exact, "Exactly").round(&format!("≈ {near}"), "As a decimal, to 1 decimal place")
}

fn value_of(typed: &str) -> algebra::Expr {
    match crate::typeset::line(typed) {
        algebra::Line::Expression(value) => value,
        _ => algebra::Expr::rational(&Rational::zero()),
    }
}

fn circle_area(n: &[Told]) -> Option<Lines> {
    let [radius] = n else { return None };
    let square = &radius.value * &radius.value;
    Some(with_pi(Lines::start(&format!("π × {}^2", radius.text)), &square))
}

fn circumference(n: &[Told]) -> Option<Lines> {
    let [radius] = n else { return None };
    let twice = &radius.value * from_int(2);
    Some(with_pi(Lines::start(&format!("2π × {}", radius.text)), &twice))
}

fn circumference_of_diameter(n: &[Told]) -> Option<Lines> {
    let [diameter] = n else { return None };
    Some(with_pi(Lines::start(&format!("π × {}", diameter.text)), &diameter.value))
}

fn lowest_terms(n: &[Told]) -> Option<Lines> {
    let [above, below] = n else { return None };
    let (a, b) = (small(above, 1 << 30)?, small(below, 1 << 30).filter(|n| *n > 0)?);
    let common = a.gcd(&b).max(1);
    let lines = Lines::start(&format!("{a}/{b}"));
    let answer = if b / common == 1 {
        (a / common).to_string()
    } else {
        format!("{}/{}", a / common, b / common)
    };
    if common == 1 {
        return Some(lines.then(&answer, "No number above 1 divides both"));
    }
    Some(
        lines
            .work(&format!("hcf({a}, {b}) = {common}"), "The highest common factor")
            .then(&format!("({a} ÷ {common})/({b} ÷ {common})"), "Divide both by it")
            .then(&answer, "Work both out"),
    )
}

fn nth_term(n: &[Told]) -> Option<Lines> {
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
