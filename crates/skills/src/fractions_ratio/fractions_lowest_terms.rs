//! Fractions in lowest terms.
//!
//! Source: Euclid, *Elements*, book VII, propositions 2 and 33. What counts as nice: common factors to 12.

use crate::kit::*;

/// The skill `fractions.lowest-terms`.
pub struct LowestTerms;

slips! {
    ONE_PART_DIVIDED = "one-part-divided": "You divided above. What about below?",
        "Divides only the numerator or only the denominator.";
    STOPPED_EARLY = "stopped-early": "Is there still a number that goes into both?",
        "Stops before the fraction is in lowest terms.";
    SUBTRACTED_COMMON = "subtracted-common": "Do you take the common factor away, or divide by it?",
        "Subtracts the common factor instead of dividing by it.";
}

methods! {
    HIGHEST_COMMON_FACTOR = "highest-common-factor": "Divide by the highest common factor",
    STEP_BY_STEP = "step-by-step": "Step by step",
    FACTOR_TREE = "factor-tree": "Factor tree",
}

impl Skill for LowestTerms {
    fn card(&self) -> Card {
        Card {
            id: "fractions.lowest-terms",
            strand: Strand::FractionsRatio,
            grades: (4, 6),
            title: "Lowest terms",
            objective: "I can write a fraction with the smallest numbers.",
            vocabulary: terms![
                "lowest terms": "no number but 1 goes into both parts",
                "common factor": "a number that goes into both",
                "simplify": "write the same in a shorter way",
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
            (Stage::Tilt, _) => which_one(draw),
            (Stage::Climb, _) => story(draw),
        }
    }
}

fn reduced(prompt: String, a: i64, b: i64, k: i64) -> Posed {
    let (x, y) = (a * k, b * k);
    let typed = format!("{x}/{y}");
    let answer = fraction(a, b);
    let mut steps = Lines::start(&typed);
    let mut rest = k;
    for p in prime_factors(k) {
        rest /= p;
        let next = if rest == 1 { answer.clone() } else { format!("{}/{}", a * rest, b * rest) };
        steps = steps.then(&next, format!("Divide both by {p}"));
    }
    let mut posed = Posed::value(prompt, line(&typed), line(&answer), Form::LowestTerms)
        .slip(fraction(a, y), slip::ONE_PART_DIVIDED);
    if x > k {
        posed = posed.slip(fraction(x - k, y - k), slip::SUBTRACTED_COMMON);
    }
    posed
        .near([fraction(a + 1, b), fraction(b - a, b), fraction(a, b + 1)])
        .way(
            method::HIGHEST_COMMON_FACTOR,
            Lines::start(&typed)
                .work(
                    &format!("hcf({x}, {y}) = {k}"),
                    "Find the largest number that goes into both",
                )
                .then(&answer, format!("Divide both by {k}")),
        )
        // Finer pieces are no pieces any more.
        .grows(
            method::HIGHEST_COMMON_FACTOR,
            (y <= 60).then(|| (2, pictured::strips(&[(x, y), (a, b)]))),
        )
        .way(method::STEP_BY_STEP, steps)
        .way(
            method::FACTOR_TREE,
            Lines::start(&typed)
                .then(
                    &format!("({})/({})", times(&prime_factors(x)), times(&prime_factors(y))),
                    "Split both into primes",
                )
                .then(&answer, "Cross out the primes that stand above and below"),
        )
}

/// Common factors that are prime, then ones that are not.
fn bare(index: usize, draw: &mut Draw) -> Posed {
    let (a, b) = draw.coprime(1, 11);
    let k = if index.is_multiple_of(2) {
        *draw.one_of(&[2, 3, 5, 7])
    } else {
        *draw.one_of(&[4, 6, 8, 9, 10, 12])
    };
    reduced(format!("Write {} in lowest terms.", tex(&format!("{}/{}", a * k, b * k))), a, b, k)
}

fn which_one(draw: &mut Draw) -> Posed {
    let (a, b) = loop {
        let (a, b) = draw.coprime(4, 25);
        if prime_factors(a).len() > 1 || prime_factors(b).len() > 1 {
            break (a, b);
        }
    };
    let right = format!("{a}/{b}");
    let mut all = vec![right.clone()];
    let mut claims = vec![format!("hcf({a}, {b}) = 1")];
    while all.len() < 4 {
        let ((c, d), k) = (draw.coprime(2, 9), *draw.one_of(&[2, 3, 5, 7]));
        let told = format!("{}/{}", c * k, d * k);
        if !all.contains(&told) {
            claims.push(format!("hcf({}, {}) = {k}", c * k, d * k));
            all.push(told);
        }
    }
    let wrong = all[1..].to_vec();
    let at = usize::try_from(draw.between(0, 3)).unwrap_or(0);
    all.swap(0, at);
    let list: Vec<String> = all.iter().map(|typed| tex(typed)).collect();
    let mut lines = Lines::default();
    for (at, claim) in claims.iter().enumerate() {
        lines = lines.work(
            claim,
            if at == 0 { "Only 1 goes into both" } else { "This one can still be divided" },
        );
    }
    Posed::shown(
        format!("Only one of these is in lowest terms. Which? {}", list.join(", ")) + ".",
        right.clone(),
        claims.iter().map(|claim| line(claim)).collect(),
    )
    .slip(wrong[0].clone(), slip::STOPPED_EARLY)
    .near(wrong[1..].to_vec())
    .way(method::HIGHEST_COMMON_FACTOR, lines.end(format!("It is {right}.")))
}

fn story(draw: &mut Draw) -> Posed {
    let name = scenario::name(draw);
    let ((a, b), k) = (draw.coprime(1, 9), draw.between(2, 9));
    let (part, all) = (a * k, b * k);
    let (prompt, words) = match draw.between(0, 2) {
        0 => (
            format!(
                "{part} of the {all} flowers in a bed are clover. {name} picks one without looking. What is the probability of clover, in lowest terms?"
            ),
            "The probability is {}.",
        ),
        1 => (
            format!(
                "Of {all} jars {name} sells {part} on the first day. What part is that, in lowest terms?"
            ),
            "That is {} of the jars.",
        ),
        _ => (
            format!(
                "{part} of {all} cells of a comb are capped. What part is capped, in lowest terms?"
            ),
            "{} of the cells are capped.",
        ),
    };
    let sentence = words.replace("{}", &fraction(a, b));
    reduced(prompt, a, b, k).answered(sentence, "")
}
