//! Fractions, decimals and percents.
//!
//! Method: to hundredths, or divide. What counts as nice: denominators that go into a hundred; then thirds and the like.

use crate::kit::*;

/// The skill `fdp.convert`.
pub struct Convert;

slips! {
    TENTHS_AS_PERCENT = "tenths-as-percent": "How many hundredths is it?",
        "Reads tenths as percent: 0.5 as 5%.";
    PARTS_AS_DIGITS = "parts-as-digits": "A fraction is a division. Carry it out.",
        "Writes the two parts of the fraction as the digits of a decimal.";
    POINT_MOVED_WRONG = "point-moved-wrong": "Per cent means of a hundred. Does the number get larger or smaller?",
        "Moves the point the wrong way.";
}

methods! {
    TO_HUNDREDTHS = "to-hundredths": "To hundredths",
    DIVIDE = "divide": "Divide",
    KNOWN_FACTS = "known-facts": "Known facts",
}

impl Skill for Convert {
    fn card(&self) -> Card {
        Card {
            id: "fdp.convert",
            strand: Strand::FractionsRatio,
            grades: (5, 8),
            title: "Fractions, decimals and percents",
            objective: "I can write a number as a fraction, as a decimal and as a percent.",
            vocabulary: terms![
                "percent": "so many of a hundred",
                "decimal": "a number with tenths, hundredths and so on behind a point",
                "hundredth": "one of a hundred equal parts",
            ],
            methods: METHODS,
        }
    }

    fn slips(&self) -> &'static [&'static dyn Slip] {
        SLIPS
    }

    fn pose(&self, stage: Stage, index: usize, draw: &mut Draw) -> Posed {
        match (stage, index % 3) {
            (Stage::Grip, _) => bare(index, draw),
            (Stage::Tilt, 0) => largest(draw),
            (Stage::Tilt, _) => repeating(draw),
            (Stage::Climb, 2) => three_ways(index, draw),
            (Stage::Climb, _) => story(draw),
        }
    }
}

/// A fraction in lowest terms whose denominator goes into a hundred.
fn hundredths(draw: &mut Draw) -> (i64, i64) {
    loop {
        let d = *draw.one_of(&[4, 5, 10, 20, 25, 50]);
        let n = draw.between(1, d - 1);
        if gcd(n, d) == 1 {
            return (n, d);
        }
    }
}

fn bare(index: usize, draw: &mut Draw) -> Posed {
    let (n, d) = hundredths(draw);
    let (f, h) = (format!("{n}/{d}"), n * 100 / d);
    let (dec, per) = (decimal(h, 2), format!("{h}%"));
    let k = 100 / d;
    let over = format!("{h}/100");
    let digits = format!("0.{n}{d}");
    let shaded = |at: usize| [(at, pictured::hundredths(h))];
    let known = |in_percent: bool| {
        let one = if in_percent { format!("{k}%") } else { decimal(k, 2) };
        let lines = Lines::start(&f);
        let reason =
            format!("${}$ is a known fact: {one}", tex(&format!("1/{d}")).replace('$', ""));
        if n == 1 {
            return lines.then(&one, reason);
        }
        let end = if in_percent { &per } else { &dec };
        lines.then(&format!("{n} × {one}"), reason).then(end, format!("Take it {n} times"))
    };
    let bar = (if n == 1 { 1 } else { 2 }, pictured::percent_bar(10 * h, dec.clone(), "1"));
    match index % 4 {
        0 => Posed::value(
            format!("Write {} as a decimal.", tex(&f)),
            line(&f),
            line(&dec),
            Form::Any,
        )
        .slip(digits, slip::PARTS_AS_DIGITS)
        .slip(decimal(h, 3), slip::POINT_MOVED_WRONG)
        .near([decimal(h + 10, 2), decimal(h + 5, 2)])
        .way(
            method::TO_HUNDREDTHS,
            Lines::start(&f)
                .then(&over, format!("Multiply both by {k}"))
                .then(&dec, "Hundredths are two places"),
        )
        .grows(method::TO_HUNDREDTHS, shaded(1))
        .way(method::KNOWN_FACTS, known(false))
        .grows(method::KNOWN_FACTS, [bar])
        .way(
            method::DIVIDE,
            Lines::start(&f)
                .then(&format!("{n} ÷ {d}"), "A fraction is a division")
                .then(&dec, "Divide"),
        ),
        1 => Posed::value(
            format!("Write {dec} as a percent."),
            line(&dec),
            line(&per),
            Form::Percent,
        )
        .slip(format!("{}%", decimal(h, 1)), slip::TENTHS_AS_PERCENT)
        .slip(format!("{}%", decimal(h, 2)), slip::POINT_MOVED_WRONG)
        .near([format!("{}%", h * 10), format!("{}%", h + 10)])
        .way(
            method::TO_HUNDREDTHS,
            Lines::start(&dec)
                .then(&over, "Count the hundredths")
                .then(&per, "Hundredths are percents"),
        )
        .grows(method::TO_HUNDREDTHS, shaded(1)),
        2 => Posed::value(
            format!("Write {} as a fraction in lowest terms.", tex(&per)),
            line(&per),
            line(&f),
            Form::LowestTerms,
        )
        .slip(fraction(h, 10), slip::TENTHS_AS_PERCENT)
        .slip(fraction(1, h), slip::PARTS_AS_DIGITS)
        .near([fraction(n + 1, d), fraction(100 - h, 100), fraction(n, d + 1)])
        .way(
            method::TO_HUNDREDTHS,
            Lines::start(&per)
                .then(&over, "Percents are hundredths")
                .then(&f, format!("Divide both by {k}")),
        )
        .grows(method::TO_HUNDREDTHS, shaded(1)),
        _ => Posed::value(
            format!("Write {} as a percent.", tex(&f)),
            line(&f),
            line(&per),
            Form::Percent,
        )
        .slip(format!("{n}{d}%"), slip::PARTS_AS_DIGITS)
        .slip(format!("{}%", decimal(h, 1)), slip::TENTHS_AS_PERCENT)
        .near([format!("{}%", h + 10), format!("{}%", 100 - h), format!("{}%", h + 5)])
        .way(
            method::TO_HUNDREDTHS,
            Lines::start(&f)
                .then(&over, format!("Multiply both by {k}"))
                .then(&per, "Hundredths are percents"),
        )
        .grows(method::TO_HUNDREDTHS, shaded(1))
        .way(method::KNOWN_FACTS, known(true))
        .grows(method::KNOWN_FACTS, [bar])
        .way(
            method::DIVIDE,
            Lines::start(&f)
                .then(&dec, format!("Divide {n} by {d}"))
                .then(&per, "Two places on is percent"),
        ),
    }
}

fn largest(draw: &mut Draw) -> Posed {
    loop {
        let (n, d) = hundredths(draw);
        let h = n * 100 / d;
        let (x, y) = (h + draw.nonzero(-9, 9), h + draw.nonzero(-9, 9));
        if x == y || x < 2 || y < 2 || x > 98 || y > 98 || x % 10 == 0 {
            continue;
        }
        let all = [(format!("{n}/{d}"), h), (decimal(x, 2), x), (format!("{y}%"), y)];
        let mut sorted = all.clone();
        sorted.sort_by_key(|(_, value)| -value);
        let claim = format!("{} > {}", sorted[0].0, sorted[1].0);
        let list: Vec<String> = all.iter().map(|(typed, _)| tex(typed)).collect();
        let mut lines = Lines::default();
        for (typed, value) in &all {
            lines = lines.work(&format!("{typed} = {value}/100"), "Write it in hundredths");
        }
        return Posed::shown(
            format!("Which is the largest: {}?", list.join(", ")),
            sorted[0].0.clone(),
            vec![line(&claim), line(&format!("{} > {}", sorted[0].0, sorted[2].0))],
        )
        .slip(sorted[1].0.clone(), slip::TENTHS_AS_PERCENT)
        .near([sorted[2].0.clone()])
        .way(
            method::TO_HUNDREDTHS,
            lines
                .work(&claim, "Compare the hundredths")
                .end(format!("The largest is {}.", sorted[0].0)),
        );
    }
}

fn repeating(draw: &mut Draw) -> Posed {
    let d = *draw.one_of(&[3, 9, 11]);
    let n = draw.between(1, d - 1);
    let n = if gcd(n, d) > 1 { 1 } else { n };
    let nines = if d == 11 { 99 } else { 9 };
    let period = n * nines / d;
    let width = if d == 11 { 2 } else { 1 };
    let shown = format!("{period:0width$}");
    let typed = format!("{n}/{d}");
    let claim = format!("{typed} = {period}/{nines}");
    let answer = format!("0.{shown}{shown}{shown}…");
    Posed::shown(
        format!("Write {} as a decimal that repeats.", tex(&typed)),
        answer.clone(),
        vec![line(&claim)],
    )
    .slip(format!("0.{n}{d}"), slip::PARTS_AS_DIGITS)
    .near([format!("0.{shown}"), format!("0.0{shown}0{shown}…")])
    .way(
        method::DIVIDE,
        Lines::default()
            .work(
                &format!(
                    "{} = {} × {d} + {}",
                    n * 10i64.pow(width as u32),
                    n * 10i64.pow(width as u32) / d,
                    n * 10i64.pow(width as u32) % d
                ),
                format!("Divide {n} by {d}: the same remainder comes again"),
            )
            .work(&claim, "So the digits repeat")
            .end(format!("It is {answer}")),
    )
}

/// A table of three ways to write a number, with two gaps.
fn three_ways(index: usize, draw: &mut Draw) -> Posed {
    let (n, d) = hundredths(draw);
    let h = n * 100 / d;
    let all = [format!("{n}/{d}"), decimal(h, 2), format!("{h}%")];
    let known = (index / 3) % 3;
    let heads = ["fraction", "decimal", "percent"];
    let table = |is_full: bool| {
        let cell = |at: usize| if is_full || at == known { all[at].clone() } else { String::new() };
        pictured::table(&[
            (heads[0], vec![cell(0)]),
            (heads[1], vec![cell(1)]),
            (heads[2], vec![cell(2)]),
        ])
    };
    let gaps: Vec<usize> = (0..3).filter(|at| *at != known).collect();
    let says = |first: &str, second: &str| format!("{first} and {second}");
    let claims = gaps.iter().map(|&at| format!("{} = {}", all[known], all[at]));
    let claims: Vec<String> = claims.collect();
    // The same digits with the point or the percent where it does not belong.
    let tenths = [fraction(h, 10), decimal(h, 1), format!("{}%", decimal(h, 1))];
    let near = [fraction(h + 10, 100), decimal(h + 10, 2), format!("{}%", h + 10)];
    let (a, b) = (gaps[0], gaps[1]);
    let lines = Lines::default()
        .work(&format!("{} = {h}/100", all[known]), "Write it in hundredths")
        .work(&claims[0], format!("The {} says the same", heads[a]))
        .work(&claims[1], format!("and so does the {}", heads[b]));
    Posed::shown(
        format!(
            "A label at the market stall tells one share in three ways: as a fraction in lowest terms, as a decimal and as a percent. Only the {} can be read: {}. Which {} and which {} belong to it?",
            heads[known],
            tex(&all[known]),
            heads[a],
            heads[b]
        ),
        says(&all[a], &all[b]),
        claims.iter().map(|claim| line(claim)).collect(),
    )
    .slip(says(&tenths[a], &all[b]), slip::TENTHS_AS_PERCENT)
    .slip(says(&all[a], &tenths[b]), slip::POINT_MOVED_WRONG)
    .near([says(&near[a], &near[b])])
    .figure(table(false))
    .grows(method::TO_HUNDREDTHS, [(0, pictured::hundredths(h)), (2, table(true))])
    .way(method::TO_HUNDREDTHS, lines.end(format!("They are {}.", says(&all[a], &all[b]))))
}

fn story(draw: &mut Draw) -> Posed {
    let (n, d) = hundredths(draw);
    let h = n * 100 / d;
    let f = format!("{n}/{d}");
    let x = tex(&f);
    let (prompt, typed, sentence) = match draw.between(0, 2) {
        0 => (
            format!(
                "{x} of the nectar comes from clover. The rest comes from heather. What percent comes from heather?"
            ),
            format!("1 - {f}"),
            format!("{}% comes from heather.", 100 - h),
        ),
        1 => (
            format!(
                "{x} of the comb is capped, and half of the rest is filled. What percent is capped?"
            ),
            f.clone(),
            format!("{h}% is capped."),
        ),
        _ => (
            format!("Of all visitors {x} come by bus. What percent come in another way?"),
            format!("1 - {f}"),
            format!("{}% come in another way.", 100 - h),
        ),
    };
    let value = if typed == f { h } else { 100 - h };
    let lines = Lines::start(&typed);
    let lines = if typed == f {
        lines.then(&format!("{h}/100"), "Write it in hundredths")
    } else {
        lines
            .then(&format!("100/100 - {h}/100"), "Write both in hundredths")
            .then(&format!("{value}/100"), "Subtract")
    };
    Posed::value(prompt, line(&typed), line(&format!("{value}%")), Form::Percent)
        .slip(format!("{}%", 100 - value), slip::TENTHS_AS_PERCENT)
        .near([
            format!("{}%", value + 10),
            format!("{}%", value + 5),
            format!("{}%", decimal(value, 1)),
        ])
        .grows(method::TO_HUNDREDTHS, [(lines.count() - 1, pictured::hundredths(value))])
        .way(method::TO_HUNDREDTHS, lines.then(&format!("{value}%"), "Hundredths are percents"))
        .answered(sentence, "%")
}
