//! Sequences: the rule, a term, what comes next, and sums.

use super::{Answer, Found, TaskKind, Told, formula};
use crate::algebra::sequences_linear_geometric;
use crate::typed::text::{Amount, written};
use algebra::number::from_int;
use algebra::write::text;
use algebra::{Expr, Rational};
use num_traits::{One, Signed, Zero};
use teaching::ids::MethodId;
use teaching::typeset::Lines;

const RULE: (&str, MethodId) =
    ("sequences.linear-geometric", sequences_linear_geometric::method::DIFFERENCE_TABLE);

#[rustfmt::skip]
pub(super) const KINDS: &[TaskKind] = &[
    TaskKind::of(RULE, &[
        "which|what term|place of|in sequence? #, is|equals #", "in sequence #, which|what term|place is #", "what position is # in? in sequence #,",
        "which term of|in sequence|progression? #, is|equals #",
    ], which_term),
    TaskKind::of(RULE, &[
        "nth term of|for sequence? #,", "nth term #,", "rule for|of sequence? #,", "formula for|of sequence? #,",
        "general term of sequence? #,", "nth term rule for|of sequence? #,", "formula for nth term of sequence? #,",
        "expression for nth term of sequence? #,", "#, nth term", "nth term of|for linear|arithmetic|quadratic|geometric sequence? #,",
        "#, find nth term", "find rule #,", "explicit formula for #,",
    ], nth_term),
    TaskKind::of(RULE, &[
        "#th term of|in|for sequence? #,", "#th term of|in|for arithmetic|linear|geometric|quadratic sequence|progression? #,",
        "#th term #,", "#, find? #th term", "#th number in|of sequence|pattern? #,", "#, what is #th term",
    ], term_of_list),
    TaskKind::of(RULE, &[
        "#th term of @", "#th term if|when nth term is @", "#th term of sequence|rule? with? nth? term? @", "nth term is @ find #th term",
        "nth term is @ what is #th term", "nth term @ find? #th term", "#th term in sequence @", "#th term for @",
    ], term_of_rule),
    TaskKind::of(RULE, &[
        "first # terms of @", "first # terms of sequence|rule? with? nth term @", "first # terms if nth term is @",
        "write|list first # terms of @", "list? first # terms of nth? term? @", "nth term is @ find|write first # terms",
    ], first_terms),
    TaskKind::of(RULE, &[
        "first five terms of @", "first five terms of sequence|rule? with? nth term @", "first five terms if nth term is @",
        "write|list first five terms of @",
    ], |f| first(f.text()?, 5)),
    TaskKind::of(RULE, &[
        "first three terms of @", "first three terms of sequence|rule? with? nth term @", "first three terms if nth term is @",
    ], |f| first(f.text()?, 3)),
    TaskKind::of(RULE, &[
        "first four terms of @", "first four terms of sequence|rule? with? nth term @",
    ], |f| first(f.text()?, 4)),
    TaskKind::of(RULE, &[
        "next term|number of|in|for sequence|pattern? #,", "next term|number #,", "what comes next #,", "what comes next in sequence? #,",
        "what is next #,", "next #,", "#, what comes|is next", "#, next term|number", "#, find next term|number",
        "continue sequence|pattern? #,", "#, what is next number|term",
    ], |f| next(f, 1)),
    TaskKind::of(RULE, &[
        "next two terms|numbers of|in|for sequence|pattern? #,", "next two terms|numbers #,", "#, next two terms|numbers",
        "#, find next two terms|numbers", "next two #,",
    ], |f| next(f, 2)),
    TaskKind::of(RULE, &[
        "next three terms|numbers of|in|for sequence|pattern? #,", "next three terms|numbers #,", "#, next three terms|numbers",
        "#, find next three terms|numbers", "next three #,",
    ], |f| next(f, 3)),
    TaskKind::of(RULE, &[
        "next # terms|numbers of|in|for sequence|pattern? #,", "next # terms|numbers #,",
    ], |f| next(f, usize::try_from(f.numbers.first()?.whole(6)?).ok()?)),
    TaskKind::of(RULE, &[
        "common difference of|in|for sequence? #,", "common difference #,", "difference in sequence #,",
    ], |f| link(f, false)),
    TaskKind::of(RULE, &[
        "common ratio of|in|for sequence? #,", "common ratio #,", "ratio of geometric sequence #,",
    ], |f| link(f, true)),
    beside("Sums of sequences", &[
        "sum to infinity of|for series|sequence? #,", "sum to infinity of @", "sum to infinity #,", "infinite sum of? @",
        "sum of infinite series @", "infinite sum of? #,",
    ], to_infinity),
    beside("Sums of sequences", &[
        "sum to infinity =,", "sum to infinity when|if|with|for =,", "sum to infinity of geometric series|sequence with =,",
    ],
        |f| {
            let (a, r) = (value(f, "a")?, value(f, "r")?);
            infinite(&a.value, &r.value)
        },
    ),
    beside("Sums of sequences", &[
        "sum of first # terms of|in sequence|series? #,",
        "sum of first # terms of arithmetic|geometric|linear sequence|series|progression? #,", "add first # terms of #,",
        "sum of # terms of #,",
    ], |f| sum_of(f.numbers.first()?.whole(1000)?, f.list()?)),
    beside("Sums of sequences", &[
        "sum of first # natural|whole|counting|positive numbers|integers?", "sum of first # integers|numbers",
        "sum of whole|counting|natural? numbers|integers from # to #", "add numbers|integers? from # to #",
        "sum of all? integers|numbers from # to #", "add up? all? numbers from # to #", "sum of all? numbers from # to #",
        "sum of integers from # to #", "sum numbers? from? # to #",
    ], sum_of_wholes),
    beside("Sums of sequences", &[
        "sum of first # odd numbers",
    ], |f| sum_of( f.numbers.first()?.whole(10_000)?, &[Amount::of(from_int(1)), Amount::of(from_int(3)), Amount::of(from_int(5))], )),
    beside("Sums of sequences", &[
        "sum of first # even numbers",
    ], |f| sum_of( f.numbers.first()?.whole(10_000)?, &[Amount::of(from_int(2)), Amount::of(from_int(4)), Amount::of(from_int(6))], )),
    beside("Sequences", &[
        "#th term of|in|for arithmetic sequence|progression? with|where|when|if? =,", "arithmetic sequence|progression? =, find? #th term",
        "arithmetic sequence|progression? with|where =, find? #th term",
    ],
        |f| {
            let (a, d) = (value(f, "a")?, value(f, "d")?);
            term(
                &Rule::Linear(a.value.clone(), d.value.clone()),
                *f.ordinals.first()?,
                format!("first term {} and difference {}", a.text, d.text),
            )
        },
    ),
    beside("Sequences", &[
        "#th term of|in|for geometric sequence|progression? with|where|when|if? =,", "geometric sequence|progression? =, find? #th term",
        "geometric sequence|progression? with|where =, find? #th term",
    ],
        |f| {
            let (a, r) = (value(f, "a")?, value(f, "r")?);
            term(
                &Rule::Geometric(a.value.clone(), r.value.clone()),
                *f.ordinals.first()?,
                format!("first term {} and ratio {}", a.text, r.text),
            )
        },
    ),
    beside("Sequences", &[
        "#th term of|in arithmetic sequence|progression? with? first term # and? common? difference #",
        "arithmetic sequence first term # common? difference # find? #th term",
    ],
        |f| {
            let [a, d] = f.amounts()?;
            term(
                &Rule::Linear(a.value.clone(), d.value.clone()),
                *f.ordinals.first()?,
                format!("first term {} and difference {}", a.text, d.text),
            )
        },
    ),
    beside("Sequences", &[
        "#th term of|in geometric sequence|progression? with? first term # and? common? ratio #",
        "geometric sequence first term # common? ratio # find? #th term",
    ],
        |f| {
            let [a, r] = f.amounts()?;
            term(
                &Rule::Geometric(a.value.clone(), r.value.clone()),
                *f.ordinals.first()?,
                format!("first term {} and ratio {}", a.text, r.text),
            )
        },
    ),
    beside("Sequences", &[
        "is # in|a|term sequence|term of|in|sequence? #,", "is # term of sequence? #,", "is # in sequence #,",
    ], |f| belongs(f.numbers.first()?, &rule_of(f.list()?)?, &shown(f.list()?))),
    beside("Sequences", &[
        "is # term of|in sequence? with? nth? term? @", "is # in sequence with? nth? term? @", "is # in sequence @",
    ],
        |f| {
            let typed = f.text()?;
            belongs(f.numbers.first()?, &rule_typed(typed)?, typed)
        },
    ),
];

const fn beside(
    topic: &'static str,
    wordings: &'static [&'static str],
    told: fn(&Found) -> Option<Told>,
) -> TaskKind {
    TaskKind::beside("sequences.linear-geometric", topic, wordings, told)
}

/// How a sequence goes on.
enum Rule {
    /// The first term, and what is added.
    Linear(Rational, Rational),
    /// The first term, and what it is multiplied by.
    Geometric(Rational, Rational),
    /// an² + bn + c.
    Quadratic(Rational, Rational, Rational),
    /// n³.
    Cubes,
    /// Each term the sum of the two before it.
    OfTwoBefore(Rational, Rational),
}

impl Rule {
    fn value(&self, n: i64) -> Option<Rational> {
        let n_value = from_int(n);
        Some(match self {
            Self::Linear(first, step) => first + step * from_int(n - 1),
            Self::Geometric(first, ratio) => {
                if n > 200 {
                    return None;
                }
                (1..n).fold(first.clone(), |value, _| value * ratio)
            }
            Self::Quadratic(a, b, c) => a * &n_value * &n_value + b * &n_value + c,
            Self::Cubes => &n_value * &n_value * &n_value,
            Self::OfTwoBefore(one, two) => {
                if n > 100 {
                    return None;
                }
                let (mut one, mut two) = (one.clone(), two.clone());
                for _ in 1..n {
                    (one, two) = (two.clone(), one + two);
                }
                one
            }
        })
    }

    /// The rule as an expression in n.
    fn typed(&self) -> Option<String> {
        Some(match self {
            Self::Linear(first, step) => polynomial(&[(step.clone(), "n"), (first - step, "")]),
            Self::Geometric(first, ratio) if first == ratio => format!("{}^n", bracketed(ratio)),
            Self::Geometric(first, ratio) if first.is_one() => {
                format!("{}^(n - 1)", bracketed(ratio))
            }
            Self::Geometric(first, ratio) => {
                format!("{} × {}^(n - 1)", written(first), bracketed(ratio))
            }
            Self::Quadratic(a, b, c) => {
                polynomial(&[(a.clone(), "n^2"), (b.clone(), "n"), (c.clone(), "")])
            }
            Self::Cubes => "n^3".into(),
            Self::OfTwoBefore(..) => return None,
        })
    }
}

fn bracketed(value: &Rational) -> String {
    let text = written(value);
    if text.contains(['-', '/']) { format!("({text})") } else { text }
}

/// A sum of terms without ones and noughts.
fn polynomial(terms: &[(Rational, &str)]) -> String {
    let mut typed = String::new();
    for (factor, letter) in terms {
        if factor.is_zero() {
            continue;
        }
        let size = factor.abs();
        let number = if size.is_one() && !letter.is_empty() {
            String::new()
        } else if written(&size).contains('/') && !letter.is_empty() {
            format!("({})", written(&size))
        } else {
            written(&size)
        };
        let sign = match (typed.is_empty(), factor.is_negative()) {
            (true, true) => "-",
            (true, false) => "",
            (false, true) => " - ",
            (false, false) => " + ",
        };
        typed.push_str(&format!("{sign}{number}{letter}"));
    }
    if typed.is_empty() { "0".into() } else { typed }
}

/// The rule that all terms follow: the simplest kind that does.
fn rule_of(list: &[Amount]) -> Option<Rule> {
    if list.len() < 2 || list.iter().any(|one| one.unit.is_some() || one.is_of_pi || one.is_percent)
    {
        return None;
    }
    let all: Vec<Rational> = list.iter().map(|one| one.value.clone()).collect();
    let follows = |rule: &Rule| {
        all.iter().enumerate().all(|(at, value)| {
            rule.value(i64::try_from(at).unwrap_or(0) + 1).as_ref() == Some(value)
        })
    };
    let (first, second) = (&all[0], &all[1]);
    if all.len() < 3 {
        return None;
    }
    let linear = Rule::Linear(first.clone(), second - first);
    if follows(&linear) {
        return Some(linear);
    }
    if !first.is_zero() {
        let geometric = Rule::Geometric(first.clone(), second / first);
        if follows(&geometric) {
            return Some(geometric);
        }
    }
    if let [a, b, c, _, ..] = &all[..] {
        let half = (c - b - (b - a)) / from_int(2);
        let step = (b - a) - from_int(3) * &half;
        let rest = a - &half - &step;
        let quadratic = Rule::Quadratic(half, step, rest);
        let two = Rule::OfTwoBefore(a.clone(), b.clone());
        if follows(&two) && all.len() >= 5 {
            return Some(two);
        }
        // Four terms, so that the fourth speaks for it.
        return [quadratic, Rule::Cubes, two].into_iter().find(follows);
    }
    None
}

fn shown(list: &[Amount]) -> String {
    list.iter().map(|one| one.text.clone()).collect::<Vec<_>>().join(", ")
}

/// Lines that show how it goes on.
fn grows(list: &[Amount], rule: &Rule) -> Lines {
    let pairs = list.windows(2).take(5);
    match rule {
        Rule::Geometric(_, ratio) => pairs.fold(Lines::default(), |lines, pair| {
            lines.work(
                &format!("{} × {} = {}", pair[0].text, bracketed(ratio), pair[1].text),
                "Each term is so many times the one before",
            )
        }),
        Rule::OfTwoBefore(..) => list.windows(3).take(5).fold(Lines::default(), |lines, three| {
            lines.work(
                &format!("{} + {} = {}", three[0].text, three[1].text, three[2].text),
                "Each term is the sum of the two before it",
            )
        }),
        _ => pairs.fold(Lines::default(), |lines, pair| {
            let step = written(&(&pair[1].value - &pair[0].value));
            let why = if matches!(rule, Rule::Linear(..)) {
                "The common difference"
            } else {
                "The differences grow"
            };
            lines.work(&format!("{} - {} = {step}", pair[1].text, pair[0].factor()), why)
        }),
    }
}

fn nth_term(found: &Found) -> Option<Told> {
    let list = found.list()?;
    let rule = rule_of(list)?;
    let typed = rule.typed()?;
    let lines = grows(list, &rule);
    let lines = match &rule {
        Rule::Linear(first, step) => lines
            .begin(
                &format!("{} + (n - 1) × {}", written(first), bracketed(step)),
                "First term and steps",
            )
            .then(&typed, "Multiply out and collect"),
        Rule::Quadratic(a, ..) => lines
            .work(
                &format!("{} ÷ 2 = {}", written(&(a * from_int(2))), written(a)),
                "The differences grow by so much each time; half of it stands before n²",
            )
            .begin(&typed, "What is left over is linear"),
        _ => lines.begin(&typed, "The rule"),
    };
    let count = i64::try_from(list.len()).ok()?;
    let expr = formula::expression(&typed)?;
    let check = text(&expr.with("n", &Expr::int(count)));
    let lines = lines.work(&format!("{check} = {}", list.last()?.text), "Check with the last term");
    Some(Told::lines(format!("The nth term of {}", shown(list)), lines, Answer::value(typed)))
}

fn term(rule: &Rule, n: i64, of: String) -> Option<Told> {
    if !(1..=1_000_000).contains(&n) {
        return None;
    }
    let value = written(&rule.value(n)?);
    if value.len() > 40 {
        return None;
    }
    let says = format!("Term number {n} of the sequence with {of}");
    let lines = match rule {
        Rule::Linear(first, step) => {
            Lines::start(&format!("{} + ({n} - 1) × {}", written(first), bracketed(step))).then(
                &format!("{} + {}", written(first), written(&(step * from_int(n - 1))))
                    .replace("+ -", "- "),
                format!("{} steps from the first term", n - 1),
            )
        }
        Rule::Geometric(first, ratio) => {
            Lines::start(&format!("{} × {}^{}", bracketed(first), bracketed(ratio), n - 1))
        }
        _ => {
            let typed = rule.typed()?;
            let filled = text(&formula::expression(&typed)?.with("n", &Expr::int(n)));
            Lines::default()
                .say(format!("${typed}$"), "The rule")
                .begin(&filled, format!("Put in {n} for n"))
        }
    };
    Some(Told::lines(says, lines.then(&value, "Work it out"), Answer::value(value)))
}

fn term_of_list(found: &Found) -> Option<Told> {
    let list = found.list()?;
    term(&rule_of(list)?, *found.ordinals.first()?, format!("terms {}", shown(list)))
}

/// An expression in n alone.
fn in_n(typed: &str) -> Option<Expr> {
    let typed = typed.split_once('=').map_or(typed, |(_, right)| right);
    let expr = formula::expression(typed)?;
    (expr.symbols().into_iter().collect::<Vec<_>>() == ["n"]).then_some(expr)
}

/// Whether the rule is linear or quadratic in n, from its values.
fn rule_typed(typed: &str) -> Option<Rule> {
    let expr = in_n(typed)?;
    let values: Vec<Amount> = (1..=6)
        .map(|n| Some(Amount::of(formula::rational(&expr.with("n", &Expr::int(n)))?)))
        .collect::<Option<_>>()?;
    rule_of(&values)
}

fn term_of_rule(found: &Found) -> Option<Told> {
    let (typed, n) = (found.text()?, *found.ordinals.first()?);
    let expr = in_n(typed)?;
    let filled = text(&expr.with("n", &Expr::int(n)));
    let (lines, value) =
        formula::worked(Lines::default(), None, &filled, &format!("Put in {n} for n"))?;
    let value = written(&formula::rational(&value)?);
    Some(Told::lines(format!("Term number {n} of {}", text(&expr)), lines, Answer::value(value)))
}

fn first_terms(found: &Found) -> Option<Told> {
    first(found.text()?, found.numbers.first()?.whole(20)?)
}

fn first(typed: &str, count: i64) -> Option<Told> {
    let expr = in_n(typed)?;
    let mut lines = Lines::default();
    let mut all = Vec::new();
    for n in 1..=count {
        let filled = expr.with("n", &Expr::int(n));
        let value = written(&formula::rational(&filled)?);
        lines = lines.work(&format!("{} = {value}", text(&filled)), format!("n is {n}"));
        all.push(value);
    }
    let listed = all.join(", ");
    let lines = lines.end(format!("The first {count} terms are {listed}."));
    Some(Told::lines(
        format!("The first {count} terms of {}", text(&expr)),
        lines,
        Answer::words(listed),
    ))
}

fn next(found: &Found, count: usize) -> Option<Told> {
    let list = found.list()?;
    let rule = rule_of(list)?;
    if count == 0 {
        return None;
    }
    let values: Vec<String> = (1..=count)
        .map(|more| Some(written(&rule.value(i64::try_from(list.len() + more).ok()?)?)))
        .collect::<Option<_>>()?;
    let listed = values.join(", ");
    let mut lines = grows(list, &rule);
    let mut before = list.last()?.value.clone();
    let mut last_but_one = list[list.len() - 2].value.clone();
    for value in &values {
        let next = Amount::read(value.trim_start_matches('-'))
            .map(|one| if value.starts_with('-') { -one.value } else { one.value })
            .or_else(|| formula::rational(&formula::expression(value)?))?;
        let typed = match &rule {
            Rule::Geometric(_, ratio) => {
                format!("{} × {} = {value}", written(&before), bracketed(ratio))
            }
            Rule::OfTwoBefore(..) => {
                format!("{} + {} = {value}", written(&last_but_one), written(&before))
            }
            _ => format!("{} + {} = {value}", written(&before), bracketed(&(&next - &before))),
        };
        lines = lines.work(&typed, "Go on in the same way");
        last_but_one = std::mem::replace(&mut before, next);
    }
    let lines = lines.end(if count == 1 {
        format!("The next term is {listed}.")
    } else {
        format!("The next terms are {listed}.")
    });
    Some(Told::lines(
        format!("What comes next after {}", shown(list)),
        lines,
        Answer::words(listed),
    ))
}

fn link(found: &Found, is_ratio: bool) -> Option<Told> {
    let list = found.list()?;
    let (first, second) = (list.first()?, list.get(1)?);
    let rule = match rule_of(list) {
        Some(rule) => rule,
        None if list.len() == 2 && is_ratio && !first.value.is_zero() => {
            Rule::Geometric(first.value.clone(), &second.value / &first.value)
        }
        None if list.len() == 2 => Rule::Linear(first.value.clone(), &second.value - &first.value),
        None => return None,
    };
    let (typed, value, name) = match (&rule, is_ratio) {
        (Rule::Geometric(_, ratio), true) => {
            (format!("{} ÷ {}", second.factor(), first.factor()), ratio, "ratio")
        }
        (Rule::Linear(_, step), false) => {
            (format!("{} - {}", second.text, first.factor()), step, "difference")
        }
        _ => return None,
    };
    let value = written(value);
    let lines = Lines::start(&typed).then(&value, "Work it out");
    let sign = if is_ratio { "÷" } else { "-" };
    let lines = list.windows(2).skip(1).take(4).fold(lines, |lines, pair| {
        lines.work(
            &format!("{} {sign} {} = {value}", pair[1].factor(), pair[0].factor()),
            "The same for the next two",
        )
    });
    Some(Told::lines(format!("The common {name} of {}", shown(list)), lines, Answer::value(value)))
}

fn to_infinity(found: &Found) -> Option<Told> {
    let list: Vec<Amount> = match found.list() {
        Some(list) => list.to_vec(),
        None => {
            let typed = found.text()?.replace("...", "").replace('…', "");
            typed
                .trim()
                .trim_end_matches('+')
                .split('+')
                .map(|part| {
                    let value = formula::rational(&formula::expression(part.trim())?)?;
                    Some(Amount::of(value))
                })
                .collect::<Option<_>>()?
        }
    };
    let Rule::Geometric(first, ratio) = rule_of(&list)? else { return None };
    infinite(&first, &ratio)
}

fn infinite(first: &Rational, ratio: &Rational) -> Option<Told> {
    let says = format!(
        "The sum to infinity with first term {} and ratio {}",
        written(first),
        written(ratio)
    );
    if ratio.abs() >= from_int(1) {
        return None;
    }
    let value = written(&(first / (from_int(1) - ratio)));
    let rest = written(&(from_int(1) - ratio));
    let lines = Lines::default()
        .say("$\\frac{a}{1 - r}$", "The sum to infinity, the ratio being between -1 and 1")
        .begin(
            &format!("({})/(1 - {})", written(first), bracketed(ratio)),
            "Put in the first term and the ratio",
        )
        .then(&format!("({})/({rest})", written(first)), "Work out what stands below")
        .then(&value, "Divide");
    Some(Told::lines(says, lines, Answer::value(value)))
}

fn sum_of(count: i64, list: &[Amount]) -> Option<Told> {
    if count < 1 {
        return None;
    }
    let says = format!("The sum of the first {count} terms of {}", shown(list));
    let (lines, value) = match rule_of(list)? {
        Rule::Linear(first, step) => {
            let last = &first + &step * from_int(count - 1);
            let value = (&first + &last) * from_int(count) / from_int(2);
            let lines = Lines::default()
                .work(
                    &format!(
                        "{} + ({count} - 1) × {} = {}",
                        written(&first),
                        bracketed(&step),
                        written(&last)
                    ),
                    "The last term",
                )
                .begin(
                    &format!("{count}/2 × ({} + {})", written(&first), bracketed(&last)),
                    "Half as many pairs of first and last",
                )
                .then(
                    &format!("{count}/2 × {}", bracketed(&(&first + &last))),
                    "Each pair comes to the same",
                );
            (lines, value)
        }
        Rule::Geometric(first, ratio) if !ratio.is_one() && count <= 60 => {
            let power = (0..count).fold(from_int(1), |all, _| all * &ratio);
            let value = &first * (&power - from_int(1)) / (&ratio - from_int(1));
            let lines = Lines::default()
                .say("$\\frac{a(r^n - 1)}{r - 1}$", "The sum of a geometric sequence")
                .begin(
                    &format!(
                        "{} × ({}^{count} - 1)/({} - 1)",
                        bracketed(&first),
                        bracketed(&ratio),
                        bracketed(&ratio)
                    ),
                    "Put in what is known",
                );
            (lines, value)
        }
        _ => return None,
    };
    let value = written(&value);
    Some(Told::lines(says, lines.then(&value, "Work it out"), Answer::value(value)))
}

fn sum_of_wholes(found: &Found) -> Option<Told> {
    let (from, to) = match &found.numbers[..] {
        [to] => (1, to.whole(1_000_000)?),
        [from, to] => (from.whole(1_000_000)?, to.whole(1_000_000)?),
        _ => return None,
    };
    let count = to - from + 1;
    if count < 1 {
        return None;
    }
    let value = (from + to) * count / 2;
    let lines = Lines::start(&format!("{count}/2 × ({from} + {to})"))
        .then(&format!("{count}/2 × {}", from + to), "Half as many pairs of first and last")
        .then(&value.to_string(), "Work it out");
    Some(Told::lines(
        format!("The sum of the whole numbers from {from} to {to}"),
        lines,
        Answer::value(value.to_string()),
    ))
}

/// Which term of a list that goes on a number is.
fn which_term(found: &Found) -> Option<Told> {
    let (list, [number]) = (found.list()?, found.amounts()?);
    let rule = rule_of(list)?;
    let Rule::Linear(first, step) = &rule else { return None };
    if step.is_zero() {
        return None;
    }
    let place = (&number.value - first) / step + from_int(1);
    if !place.is_integer() || place < from_int(1) {
        return None;
    }
    let (typed, shown) = (rule.typed()?, written(&place));
    let told: Vec<String> = list.iter().map(|one| one.text.clone()).collect();
    let lines = Lines::default()
        .begin(&format!("{typed} = {}", number.text), "The rule of the sequence, at that term")
        .then(&format!("n = {shown}"), "Solve for n")
        .end(format!("It is term number {shown}."));
    let says = format!("Which term of {}, … is {}", told.join(", "), number.text);
    Some(Told::lines(says, lines, Answer::value(shown)))
}

fn value<'a>(found: &'a Found, letter: &str) -> Option<&'a Amount> {
    found.values.iter().find(|(name, _)| name == letter).map(|(_, value)| value)
}

fn belongs(number: &Amount, rule: &Rule, of: &str) -> Option<Told> {
    let Rule::Linear(first, step) = rule else { return None };
    if step.is_zero() {
        return None;
    }
    let typed = rule.typed()?;
    let place = (&number.value - first) / step + from_int(1);
    let is_in = place.is_integer() && place >= from_int(1);
    let shown = written(&place);
    let lines = Lines::default()
        .begin(&format!("{typed} = {}", number.text), "Which term would it be?")
        .then(&format!("n = {shown}"), "Solve for n")
        .end(if is_in {
            format!("It is term number {shown}.")
        } else {
            "n is no counting number, so it is not in the sequence.".to_owned()
        });
    Some(Told::lines(
        format!("Whether {} is in the sequence {of}", number.text),
        lines,
        Answer::words(if is_in { "yes" } else { "no" }),
    ))
}
