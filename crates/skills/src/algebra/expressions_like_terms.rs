//! Collecting like terms.
//!
//! Method: terms of one kind are put side by side, each with the sign in front of it. What counts as nice:
//! coefficients to 9.

use crate::kit::*;

/// The skill `expressions.like-terms`.
pub struct LikeTerms;

slips! {
    UNLIKE_TERMS_ADDED = "unlike-terms-added": "Three apples and two pears: how many of what?",
        "Adds terms of different kinds: 3x + 2 becomes 5x.";
    SIGN_LEFT_BEHIND = "sign-left-behind": "Which sign stands in front of the term? It belongs to it.",
        "Moves a term without the sign in front of it.";
    LETTERS_MULTIPLIED = "letters-multiplied": "Count the letters: two x and three x are how many x?",
        "Multiplies the letters of terms that are added.";
}

methods! {
    GROUP = "group": "Group, then add",
    COUNT_EACH_KIND = "count-each-kind": "Count each kind",
}

impl Skill for LikeTerms {
    fn card(&self) -> Card {
        Card {
            id: "expressions.like-terms",
            strand: Strand::Algebra,
            grades: (6, 8),
            title: "Collecting like terms",
            objective: "I can write a sum with as few terms as it needs.",
            vocabulary: terms![
                "term": "a part of a sum, with its sign",
                "like terms": "terms with the same letters to the same powers",
                "coefficient": "the number in front of a letter",
            ],
            methods: METHODS,
        }
    }

    fn line_picture(&self, _: &Posed, _: MethodId, line: &Line) -> Option<Figure> {
        pictured::tiles(line)
    }

    fn slips(&self) -> &'static [&'static dyn Slip] {
        SLIPS
    }

    fn pose(&self, stage: Stage, index: usize, draw: &mut Draw) -> Posed {
        match (stage, index % 3) {
            (Stage::Grip, _) => bare(index, draw),
            (Stage::Tilt, 0) => find_the_slip(draw),
            (Stage::Tilt, _) => missing(draw),
            (Stage::Climb, _) => perimeter(index, draw),
        }
    }
}

type Terms<'a> = Vec<(i64, &'a str)>;

/// The kinds of terms, in the order in which they come.
fn kinds<'a>(terms: &[(i64, &'a str)]) -> Vec<&'a str> {
    let mut found: Vec<&str> = Vec::new();
    for (_, kind) in terms {
        if !found.contains(kind) {
            found.push(kind);
        }
    }
    found
}

/// One term of each kind.
fn collected<'a>(terms: &[(i64, &'a str)]) -> Terms<'a> {
    let total = |kind: &str| terms.iter().filter(|term| term.1 == kind).map(|term| term.0).sum();
    kinds(terms).into_iter().map(|kind| (total(kind), kind)).collect()
}

/// A sum to be collected, in which no kind vanishes.
fn collect(prompt: String, terms: &[(i64, &str)]) -> Posed {
    let (typed, answer) = (sum(terms), collected(terms));
    let grouped: Terms = kinds(terms)
        .into_iter()
        .flat_map(|kind| terms.iter().filter(move |term| term.1 == kind).copied())
        .collect();
    let all: i64 = answer.iter().map(|term| term.0).sum();
    let without_signs: Terms = terms.iter().map(|&(n, kind)| (n.abs(), kind)).collect();
    let (first, squared) = (answer[0], format!("{}^2", answer[0].1));
    let shifted = |by: i64| {
        let mut terms = answer.clone();
        terms[0].0 += by;
        sum(&terms)
    };
    let mut multiplied = answer.clone();
    multiplied[0] = (first.0, &squared);
    let counted = answer.iter().map(|&(n, kind)| match kind {
        "" => format!("by itself {n}"),
        _ => format!("{n} of ${kind}$"),
    });
    let counted = counted.collect::<Vec<_>>().join(", ");
    Posed::value(prompt, line(&typed), line(&sum(&answer)), Form::Expanded)
        .slip(sum(&[(all, first.1)]), slip::UNLIKE_TERMS_ADDED)
        .slip(sum(&collected(&without_signs)), slip::SIGN_LEFT_BEHIND)
        .slip(sum(&multiplied), slip::LETTERS_MULTIPLIED)
        .near([shifted(1), shifted(-2)])
        .way(
            method::GROUP,
            Lines::start(&typed)
                .then(&sum(&grouped), "Put like terms side by side, each with its sign")
                .then(&sum(&answer), "Add the numbers in front of each kind"),
        )
        .way(
            method::COUNT_EACH_KIND,
            Lines::start(&typed).then(&sum(&answer), format!("Count each kind: {counted}")),
        )
}

/// One letter and numbers; then two letters; then two letters and numbers.
fn bare(index: usize, draw: &mut Draw) -> Posed {
    let (a, b) = (draw.between(2, 9), draw.between(2, 9));
    let (c, d) = if index < 2 {
        (draw.between(1, 7), draw.between(1, 9))
    } else {
        (draw.nonzero(-9, 7), draw.nonzero(-9, 9))
    };
    let (x, y) = *draw.one_of(&[("x", "y"), ("a", "b"), ("p", "q")]);
    let c = if a + c == 0 { c - 1 } else { c };
    let d = if b + d == 0 { d - 1 } else { d };
    let terms = match index % 3 {
        0 => vec![(a, x), (b, ""), (c, x), (d, "")],
        1 => vec![(a, x), (b, y), (c, x), (d, y)],
        _ => vec![(a, x), (-b, y), (draw.between(1, 9), ""), (c, x), (-d, y)],
    };
    collect(format!("Collect like terms: {}.", tex(&sum(&terms))), &terms)
}

fn find_the_slip(draw: &mut Draw) -> Posed {
    let (a, b, c) = (draw.between(2, 9), draw.between(2, 9), draw.between(2, 9));
    let terms = [(a, "x"), (b, ""), (c, "x")];
    let (typed, wrong) = (sum(&terms), sum(&[(a + b + c, "x")]));
    let posed = collect(String::new(), &terms);
    with_slip(posed, draw, &[&typed, &wrong], 1, slip::UNLIKE_TERMS_ADDED)
}

fn missing(draw: &mut Draw) -> Posed {
    let (a, k, b) = (draw.between(2, 9), draw.nonzero(-9, 9), draw.between(1, 9));
    let total = a + k;
    let told = format!("{a}x + {b} + kx = {}", sum(&[(total, "x"), (b, "")]));
    let equation = format!("{a} + k = {total}");
    Posed::equation(
        format!("Which number is $k$, if {} for every $x$?", tex(&told)),
        line(&equation),
        "k",
        from_int(k),
    )
    .slip((total + a).to_string(), slip::SIGN_LEFT_BEHIND)
    .slip((total - a - b).to_string(), slip::UNLIKE_TERMS_ADDED)
    .near([(-k).to_string()])
    .way(
        method::GROUP,
        Lines::start(&equation)
            .then(&format!("k = {total} - {a}"), "Only the terms with $x$ are alike")
            .then(&format!("k = {k}"), "Work it out"),
    )
}

/// A shape with two pairs of equal sides, or three sides, around something of the garden.
fn perimeter(index: usize, draw: &mut Draw) -> Posed {
    let (a, b) = (draw.between(2, 6), draw.between(1, 9));
    let (c, d) = (draw.between(1, 5), draw.between(1, 9));
    let (long, wide) = (sum(&[(a, "x"), (b, "")]), sum(&[(c, "x"), (d, "")]));
    let (e, f) = (draw.between(1, 6), draw.between(1, 9));
    // Some number is left over.
    let f = if b + d == f { f + 1 } else { f };
    let third = sum(&[(e, "x"), (-f, "")]);
    let sides = [tex(&long), tex(&wide), tex(&third)];
    let name = scenario::name(draw);
    let (prompt, terms) = match index % 3 {
        0 => (
            format!(
                "A bed of thyme is {} m long and {} m wide. {name} puts a fence around it. Write the length of the fence in metres, with like terms collected.",
                sides[0], sides[1]
            ),
            vec![(a, "x"), (b, ""), (c, "x"), (d, ""), (a, "x"), (b, ""), (c, "x"), (d, "")],
        ),
        1 => (
            format!(
                "A pennant for the market stall has sides of {} cm, {} cm and {} cm. {name} sews a ribbon around it. Write the length of the ribbon in centimetres, with like terms collected.",
                sides[0], sides[1], sides[2]
            ),
            vec![(a, "x"), (b, ""), (c, "x"), (d, ""), (e, "x"), (-f, "")],
        ),
        _ => (
            format!(
                "{name} flies a round with the drone: {} m to the clover, {} m to the heather, {} m along the hedge and {} m home. Write the whole way in metres, with like terms collected.",
                sides[0],
                sides[1],
                sides[2],
                tex(&sum(&[(a + 1, "x")]))
            ),
            vec![(a, "x"), (b, ""), (c, "x"), (d, ""), (e, "x"), (-f, ""), (a + 1, "x")],
        ),
    };
    collect(prompt, &terms)
}
