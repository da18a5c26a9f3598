//! Equivalent fractions.
//!
//! Source: Euclid, *Elements*, book VII, proposition 17. What counts as nice: denominators to 12 before they are
//! multiplied.

use crate::kit::*;

/// The skill `fractions.equivalent`.
pub struct Equivalent;

slips! {
    SAME_ADDED_TO_BOTH = "same-added-to-both": "Does one more piece of a finer cut keep the amount the same?",
        "Adds the same number above and below.";
    ONE_PART_ONLY = "one-part-only": "What was done to the denominator? Do it to the numerator too.",
        "Multiplies or divides only one of the two parts.";
}

methods! {
    MULTIPLY_BOTH = "multiply-both": "Multiply both",
    DIVIDE_BOTH = "divide-both": "Divide both",
    STRIPS = "strips": "Fraction strips",
}

impl Skill for Equivalent {
    fn card(&self) -> Card {
        Card {
            id: "fractions.equivalent",
            strand: Strand::FractionsRatio,
            grades: (3, 5),
            title: "Equivalent fractions",
            objective: "I can write a fraction in other ways that are worth the same.",
            vocabulary: terms![
                "fraction": "equal parts of a whole, or a division",
                "equivalent": "worth the same",
                "numerator": "the number above the fraction bar",
                "denominator": "the number below the fraction bar",
            ],
            methods: METHODS,
        }
    }

    fn slips(&self) -> &'static [&'static dyn Slip] {
        SLIPS
    }

    fn pose(&self, stage: Stage, index: usize, draw: &mut Draw) -> Posed {
        match (stage, index % 3) {
            (Stage::Grip, _) => missing_number(index, draw),
            (Stage::Tilt, 0) => odd_one_out(draw),
            (Stage::Tilt, _) => true_or_false(draw),
            (Stage::Climb, 0) => in_order(draw),
            (Stage::Climb, _) => story(draw),
        }
    }
}

/// Up, then down; the missing part above, then below.
fn missing_number(index: usize, draw: &mut Draw) -> Posed {
    let ((a, b), k) = (draw.coprime(1, 12), draw.between(2, 8));
    let (from, to) =
        if index.is_multiple_of(2) { ((a, b), (a * k, b * k)) } else { ((a * k, b * k), (a, b)) };
    let above = (index / 2).is_multiple_of(2);
    let equation = if above {
        format!("{}/{} = n/{}", from.0, from.1, to.1)
    } else {
        format!("{}/{} = {}/n", from.0, from.1, to.0)
    };
    let answer = if above { to.0 } else { to.1 };
    let other = if above { from.0 } else { from.1 };
    let added = other + if above { to.1 - from.1 } else { to.0 - from.0 };
    let grows = index.is_multiple_of(2);
    let (method, sign, word) = if grows {
        (method::MULTIPLY_BOTH, '×', "multiplied")
    } else {
        (method::DIVIDE_BOTH, '÷', "divided")
    };
    let known = if above {
        format!("{} {sign} {k} = {}", from.1, to.1)
    } else {
        format!("{} {sign} {k} = {}", from.0, to.0)
    };
    let part = if above { "denominator" } else { "numerator" };
    let steps = |lines: Lines| {
        lines
            .work(&known, format!("The {part} is {word} by {k}"))
            .then(&format!("n = {other} {sign} {k}"), "Do the same to the other part")
            .then(&format!("n = {answer}"), "Work it out")
    };
    Posed::equation(
        format!("Which number is missing? {}", tex(&equation)),
        line(&equation),
        "n",
        from_int(answer),
    )
    .slip(added.to_string(), slip::SAME_ADDED_TO_BOTH)
    .slip(other.to_string(), slip::ONE_PART_ONLY)
    .way(method, steps(Lines::start(&equation)))
    .grows(method, [(0, pictured::circles(&[from])), (3, pictured::circles(&[from, to]))])
    .way(method::STRIPS, steps(Lines::start(&equation)))
    .grows(method::STRIPS, [(0, pictured::strips(&[from])), (3, pictured::strips(&[from, to]))])
}

fn odd_one_out(draw: &mut Draw) -> Posed {
    let (a, b) = draw.coprime(1, 8);
    let k = draw.different(3, 2, 7);
    let odd = format!("{}/{}", a + k[2], b + k[2]);
    let (x, y) = (format!("{}/{}", a * k[0], b * k[0]), format!("{}/{}", a * k[1], b * k[1]));
    let first = format!("{a}/{b}");
    let mut all = [first.clone(), x.clone(), y.clone(), odd.clone()];
    let at = usize::try_from(draw.between(0, 3)).unwrap_or(0);
    all.swap(3, at);
    let list: Vec<String> = all.iter().map(|typed| tex(typed)).collect();
    let sign = if (a + k[2]) * b > a * (b + k[2]) { '>' } else { '<' };
    let claims =
        [format!("{x} = {first}"), format!("{y} = {first}"), format!("{odd} {sign} {first}")];
    Posed::shown(
        format!("Which is the odd one out: {}?", list.join(", ")),
        odd.clone(),
        claims.iter().map(|claim| line(claim)).collect(),
    )
    .near([x.clone()])
    .near([y.clone(), first.clone()])
    .way(
        method::DIVIDE_BOTH,
        Lines::default()
            .work(&claims[0], format!("Divide both parts by {}", k[0]))
            .work(&claims[1], format!("Divide both parts by {}", k[1]))
            .work(&claims[2], "The last one is worth something else")
            .end(format!("The odd one out is {odd}.")),
    )
}

fn true_or_false(draw: &mut Draw) -> Posed {
    let ((a, b), k) = (draw.coprime(1, 9), draw.between(2, 6));
    let is_true = draw.coin();
    let (c, d) = if is_true { (a * k, b * k) } else { (a + k, b + k) };
    let claim = format!("{a}/{b} = {c}/{d}");
    let (shown, reason) = if is_true {
        (claim.clone(), format!("Both parts are multiplied by {k}"))
    } else {
        (
            format!("{a} × {d} < {c} × {b}"),
            format!("Adding {k} to both parts does not keep the value"),
        )
    };
    let word = if is_true { "true" } else { "false" };
    Posed::claim(format!("True or false? {} Say why.", tex(&claim)), line(&claim), is_true).way(
        method::MULTIPLY_BOTH,
        Lines::default().work(&shown, reason).end(format!("It is {word}.")),
    )
}

fn in_order(draw: &mut Draw) -> Posed {
    let below = *draw.one_of(&[12, 24, 30, 36]);
    let divisors: Vec<i64> = (2..=below / 2).filter(|d| below % d == 0).collect();
    loop {
        let d: Vec<i64> = (0..3).map(|_| *draw.one_of(&divisors)).collect();
        let n: Vec<i64> = d.iter().map(|d| draw.between(1, (d - 1).max(1))).collect();
        let value = |i: usize| n[i] * below / d[i];
        let lowest = (0..3).all(|i| gcd(n[i], d[i]) == 1);
        if !lowest || value(0) == value(1) || value(1) == value(2) || value(0) == value(2) {
            continue;
        }
        let show = |i: usize| format!("{}/{}", n[i], d[i]);
        let mut order = [0, 1, 2];
        order.sort_by_key(|i| value(*i));
        let told = |order: [usize; 3]| order.map(show).join(" < ");
        let answer = told(order);
        let list: Vec<String> = (0..3).map(|i| tex(&show(i))).collect();
        let mut lines = Lines::default();
        for i in 0..3 {
            lines = lines.work(
                &format!("{} = {}/{below}", show(i), value(i)),
                format!("Bring it to the denominator {below}"),
            );
        }
        return Posed::shown(
            format!("Put in order, the smallest first: {}.", list.join(", ")),
            answer.clone(),
            vec![line(&answer)],
        )
        .slip(told([order[2], order[1], order[0]]), slip::ONE_PART_ONLY)
        .near([told([order[1], order[0], order[2]]), told([order[0], order[2], order[1]])])
        .way(
            method::MULTIPLY_BOTH,
            lines.work(&answer, "Compare the numerators").end(format!("In order: {answer}.")),
        );
    }
}

fn story(draw: &mut Draw) -> Posed {
    let name = scenario::name(draw);
    let ((a, b), k) = (draw.coprime(1, 8), draw.between(3, 9));
    let (x, part) = (tex(&format!("{a}/{b}")), a * k);
    let all = b * k;
    let (prompt, sentence, unit) = match draw.between(0, 2) {
        0 => (
            format!(
                "{x} of a candle mix is beeswax. {name} makes {all} spoons of mix. How many spoons of beeswax are in it?"
            ),
            format!("{part} spoons of beeswax are in it."),
            "spoons",
        ),
        1 => (
            format!(
                "{x} of the frames are full of honey. There are {all} frames. How many of them are full?"
            ),
            format!("{part} frames are full."),
            "frames",
        ),
        _ => (
            format!(
                "{x} of the seeds in a bag are clover. {name} counts {all} seeds. How many are clover?"
            ),
            format!("{part} seeds are clover."),
            "seeds",
        ),
    };
    let equation = format!("{a}/{b} = n/{all}");
    Posed::equation(prompt, line(&equation), "n", from_int(part))
        .slip((a + all - b).to_string(), slip::SAME_ADDED_TO_BOTH)
        .slip(k.to_string(), slip::ONE_PART_ONLY)
        .way(
            method::MULTIPLY_BOTH,
            Lines::start(&equation)
                .work(&format!("{b} × {k} = {all}"), format!("The whole is {k} times as large"))
                .then(&format!("n = {a} × {k}"), "Do the same to the part")
                .then(&format!("n = {part}"), "Work it out")
                .end(&sentence),
        )
        .answered(sentence, unit)
}
