//! Equivalent ratios.
//!
//! Source: Euclid, *Elements*, book VII, proposition 17. What counts as nice: terms to 9, factors to 9.

use crate::kit::*;

/// The skill `ratio.equivalent`.
pub struct Equivalent;

slips! {
    ADDED_NOT_SCALED = "added-not-scaled": "Twice the batch needs twice of everything.",
        "Adds the same amount to both terms instead of scaling.";
    TERMS_SWAPPED = "terms-swapped": "Which amount is named first?",
        "Swaps the two terms.";
}

methods! {
    MULTIPLY_BOTH = "multiply-both": "Multiply both",
    RATIO_TABLE = "ratio-table": "Ratio table",
    LOWEST_TERMS = "lowest-terms": "Lowest terms first",
}

impl Skill for Equivalent {
    fn card(&self) -> Card {
        Card {
            id: "ratio.equivalent",
            strand: Strand::FractionsRatio,
            grades: (5, 7),
            title: "Equivalent ratios",
            objective: "I can scale a ratio up and down and keep it the same.",
            vocabulary: terms![
                "ratio": "how many times one amount is as large as another",
                "equivalent ratios": "ratios that say the same, such as 2:3 and 4:6",
                "scale": "multiply both terms by one number",
            ],
            methods: METHODS,
        }
    }

    fn slips(&self) -> &'static [&'static dyn Slip] {
        SLIPS
    }

    fn pose(&self, stage: Stage, index: usize, draw: &mut Draw) -> Posed {
        match (stage, index % 3) {
            (Stage::Grip, _) => scale(index, draw),
            (Stage::Tilt, 0) => odd_one_out(draw),
            (Stage::Tilt, _) => chain(draw),
            (Stage::Climb, _) => story(draw),
        }
    }
}

fn table(rows: [&str; 2], a: i64, b: i64, x: String, y: String) -> Figure {
    Figure::RatioTable {
        rows: rows.map(str::to_owned),
        columns: vec![[a.to_string(), b.to_string()], [x, y]],
    }
}

/// A ratio as equal groups, once and so many times.
fn groups(names: [&str; 2], [a, b]: [i64; 2], k: i64) -> [(usize, Figure); 2] {
    let count = |n: i64| u32::try_from(n).unwrap_or(0);
    let of = |groups: i64| Figure::Groups {
        names: names.map(str::to_owned),
        each: [count(a), count(b)],
        groups: count(groups),
    };
    [(0, of(1)), (3, of(k))]
}

/// Up, then down.
fn scale(index: usize, draw: &mut Draw) -> Posed {
    let ((a, b), k) = (draw.coprime(2, 9), draw.between(3, 9));
    if index.is_multiple_of(2) {
        let equation = format!("{a}:{b} = n:{}", b * k);
        Posed::equation(
            format!("Find $n$: {}", tex(&equation)),
            line(&equation),
            "n",
            from_int(a * k),
        )
        .slip((a + b * k - b).to_string(), slip::ADDED_NOT_SCALED)
        .slip(k.to_string(), slip::TERMS_SWAPPED)
        .way(
            method::MULTIPLY_BOTH,
            Lines::start(&equation)
                .work(
                    &format!("{b} × {k} = {}", b * k),
                    format!("The second term is multiplied by {k}"),
                )
                .then(&format!("n = {a} × {k}"), "Do the same to the first")
                .then(&format!("n = {}", a * k), "Work it out"),
        )
        .grows(method::MULTIPLY_BOTH, groups(["", ""], [a, b], k))
        .way(
            method::RATIO_TABLE,
            Lines::start(&equation)
                .then(
                    &format!("n = {a} × {k}"),
                    format!("Go from the column of {b} to the column of {}: times {k}", b * k),
                )
                .then(&format!("n = {}", a * k), "Work it out"),
        )
        .figure(table(["first", "second"], a, b, "n".into(), (b * k).to_string()))
    } else {
        let typed = format!("{}:{}", a * k, b * k);
        Posed::shown(
            format!("Write the ratio {} in lowest terms.", tex(&typed)),
            format!("{a}:{b}"),
            vec![line(&format!("{typed} = {a}:{b}")), line(&format!("hcf({a}, {b}) = 1"))],
        )
        .slip(format!("{b}:{a}"), slip::TERMS_SWAPPED)
        .slip(format!("{}:{}", a * k - 1, b * k - 1), slip::ADDED_NOT_SCALED)
        .near([format!("{}:{}", a * k, b)])
        .way(
            method::LOWEST_TERMS,
            Lines::default()
                .work(
                    &format!("hcf({}, {}) = {k}", a * k, b * k),
                    "Find the largest number that goes into both",
                )
                .work(&format!("{typed} = {a}:{b}"), format!("Divide both by {k}"))
                .end(format!("It is {a}:{b}.")),
        )
    }
}

fn odd_one_out(draw: &mut Draw) -> Posed {
    let (a, b) = draw.coprime(2, 9);
    let k = draw.different(3, 2, 8);
    let odd = format!("{}:{}", a + k[2], b + k[2]);
    let (x, y) = (format!("{}:{}", a * k[0], b * k[0]), format!("{}:{}", a * k[1], b * k[1]));
    let mut all = [format!("{a}:{b}"), x.clone(), y.clone(), odd.clone()];
    all.swap(3, usize::try_from(draw.between(0, 3)).unwrap_or(0));
    let list: Vec<String> = all.iter().map(|typed| tex(typed)).collect();
    let cross = format!("{} × {b} > {} × {a}", a + k[2], b + k[2]);
    Posed::shown(
        format!("Which ratio is the odd one out: {}?", list.join(", ")),
        odd.clone(),
        vec![line(&format!("{x} = {a}:{b}")), line(&format!("{y} = {a}:{b}")), line(&cross)],
    )
    .slip(x.clone(), slip::ADDED_NOT_SCALED)
    .near([y.clone(), format!("{a}:{b}")])
    .way(
        method::LOWEST_TERMS,
        Lines::default()
            .work(&format!("{x} = {a}:{b}"), "In lowest terms")
            .work(&format!("{y} = {a}:{b}"), "In lowest terms")
            .work(&cross, "For the last one the diagonal products differ")
            .end(format!("The odd one out is {odd}.")),
    )
}

fn chain(draw: &mut Draw) -> Posed {
    let (a, b) = draw.coprime(2, 8);
    let k = draw.different(2, 2, 9);
    let equation = format!("{}:{} = n:{}", a * k[0], b * k[0], b * k[1]);
    Posed::equation(
        format!("Find $n$: {}", tex(&equation)),
        line(&equation),
        "n",
        from_int(a * k[1]),
    )
    .slip((a * k[0] + b * k[1] - b * k[0]).to_string(), slip::ADDED_NOT_SCALED)
    .way(
        method::LOWEST_TERMS,
        Lines::start(&equation)
            .then(
                &format!("{a}:{b} = n:{}", b * k[1]),
                format!("Divide both known terms by {}", k[0]),
            )
            .then(&format!("n = {a} × {}", k[1]), format!("{} is {} times {b}", b * k[1], k[1]))
            .then(&format!("n = {}", a * k[1]), "Work it out"),
    )
    .figure(table(["first", "second"], a * k[0], b * k[0], "n".into(), (b * k[1]).to_string()))
}

fn story(draw: &mut Draw) -> Posed {
    let name = scenario::name(draw);
    let ((a, b), k) = (draw.coprime(2, 7), draw.between(3, 9));
    let (prompt, sentence, unit, rows) = match draw.between(0, 2) {
        0 => (
            format!(
                "{name} mixes feed from sugar and water in the ratio {a}:{b}. How many cups of sugar go with {} cups of water?",
                b * k
            ),
            format!("{} cups of sugar go with it.", a * k),
            "cups",
            ["sugar", "water"],
        ),
        1 => (
            format!(
                "In a candle mix the ratio of oil to wax is {a}:{b}. How many grams of oil go with {} grams of wax?",
                b * k * 10
            ),
            format!("{} grams of oil go with it.", a * k * 10),
            "grams",
            ["oil", "wax"],
        ),
        _ => (
            format!(
                "The seed mix holds thyme and clover in the ratio {a}:{b}. How many spoons of thyme go with {} spoons of clover?",
                b * k
            ),
            format!("{} spoons of thyme go with it.", a * k),
            "spoons",
            ["thyme", "clover"],
        ),
    };
    let scale = if unit == "grams" { k * 10 } else { k };
    let equation = format!("{a}:{b} = n:{}", b * scale);
    Posed::equation(prompt, line(&equation), "n", from_int(a * scale))
        .slip((a + b * scale - b).to_string(), slip::ADDED_NOT_SCALED)
        .slip(fraction(b * b * scale, a).to_string(), slip::TERMS_SWAPPED)
        .way(
            method::MULTIPLY_BOTH,
            Lines::start(&equation)
                .work(
                    &format!("{b} × {scale} = {}", b * scale),
                    format!("The second amount is {scale} times as large"),
                )
                .then(&format!("n = {a} × {scale}"), "Do the same to the first")
                .then(&format!("n = {}", a * scale), "Work it out")
                .end(&sentence),
        )
        .grows(
            method::MULTIPLY_BOTH,
            (scale == k).then(|| groups(rows, [a, b], k)).into_iter().flatten(),
        )
        .figure(table(rows, a, b, "n".into(), (b * scale).to_string()))
        .answered(sentence, unit)
}
