//! Sequences whose terms come from the terms before.
//!
//! Method: a table, one term after the other. Source: Fibonacci, *Liber abaci*, chapter 12; a drone has a mother only, a
//! queen has both parents. What counts as nice: terms below 1000.

use crate::kit::*;
use teaching::figure::{Place, TreeNode};

/// The skill `sequences.recursive`.
pub struct Recursive;

slips! {
    ONE_PLACE_OFF = "one-place-off": "Which term is number one? Count again from there.",
        "Is off by one place.";
    FIRST_TERM_USED_AGAIN = "first-term-used-again": "The rule takes the term just before.",
        "Puts the first term into the rule each time.";
    OPERATIONS_SWAPPED = "operations-swapped": "What does the rule do first?",
        "Does the operations of the rule in the other order.";
    ONLY_ONE_BEFORE = "only-one-before": "The rule takes two earlier terms.",
        "Uses one earlier term where the rule takes two.";
}

methods! {
    TABLE = "table": "Build a table",
}

impl Skill for Recursive {
    fn card(&self) -> Card {
        Card {
            id: "sequences.recursive",
            strand: Strand::Algebra,
            grades: (8, 12),
            title: "Recursive sequences",
            objective: "I can work out the terms of a sequence from the terms before them.",
            vocabulary: terms![
                "recursive rule": "a rule that gives a term from earlier terms",
                "subscript": "the small number that tells which term it is",
                "limit": "the number that the terms come as near to as one likes",
            ],
            methods: METHODS,
        }
    }

    fn slips(&self) -> &'static [&'static dyn Slip] {
        SLIPS
    }

    fn pose(&self, stage: Stage, index: usize, draw: &mut Draw) -> Posed {
        match (stage, index % 3) {
            (Stage::Grip, 0 | 1) => one_before(draw),
            (Stage::Grip, _) => two_before(draw),
            (Stage::Tilt, 0) => wrong_term(draw),
            (Stage::Tilt, _) => find_the_rule(draw),
            (Stage::Climb, 0) => drone(draw),
            (Stage::Climb, 1) => settles(draw),
            (Stage::Climb, _) => ratio_settles(draw),
        }
    }
}

/// `a_2`
fn term(n: usize) -> String {
    format!("a_{n}")
}

/// Each term is `k` times the one before and `c` more.
fn run(first: i64, k: i64, c: i64, count: usize) -> Vec<i64> {
    std::iter::successors(Some(first), |before| Some(k * before + c)).take(count).collect()
}

fn rule_of(k: i64, c: i64) -> String {
    sum(&[(k, "a_n"), (c, "")])
}

/// The terms so far in a table, from the line `first` of the working on, one more with each line.
fn grown_table(terms: &[i64], known: usize, first: usize) -> Vec<(usize, Figure)> {
    let until = |count: usize| {
        let places = (1..=count).map(|n| n.to_string()).collect();
        let values = terms[..count].iter().map(i64::to_string).collect();
        pictured::table(&[("n", places), ("a_n", values)])
    };
    (known..=terms.len()).map(|count| (count - known + first, until(count))).collect()
}

fn one_before(draw: &mut Draw) -> Posed {
    let (first, k, c) = (draw.between(1, 6), draw.between(2, 3), draw.nonzero(-4, 7));
    let (first, c) = if first * (k - 1) + c <= 0 { (first + 4, c) } else { (first, c) };
    let terms = run(first, k, c, 5);
    let typed = format!("{k} × {} + {}", terms[3], bracketed(c));
    let mut lines = Lines::default();
    for n in 1..4 {
        lines = lines.work(
            &format!("{k} × {} + {} = {}", terms[n - 1], bracketed(c), terms[n]),
            format!("${}$ from ${}$", term(n + 1), term(n)),
        );
    }
    Posed::value(
        format!(
            "A sequence begins with {} and goes on by {}. Find {}.",
            tex(&format!("a_1 = {first}")),
            tex(&format!("a_{{n+1}} = {}", rule_of(k, c))),
            tex("a_5")
        ),
        line(&typed),
        line(&terms[4].to_string()),
        Form::Any,
    )
    .slip(terms[3].to_string(), slip::ONE_PLACE_OFF)
    .slip((k * terms[4] + c).to_string(), slip::ONE_PLACE_OFF)
    .slip((k * (terms[3] + c)).to_string(), slip::OPERATIONS_SWAPPED)
    .slip((k * first + 4 * c).to_string(), slip::FIRST_TERM_USED_AGAIN)
    .way(
        method::TABLE,
        lines.begin(&typed, "$a_5$ from $a_4$").then(&terms[4].to_string(), "Work it out"),
    )
    .grows(method::TABLE, grown_table(&terms[..4], 2, 0))
    .grows(method::TABLE, [(4, grown_table(&terms, 5, 0).remove(0).1)])
}

/// Each term from the two before.
fn sums(first: i64, second: i64, count: usize) -> Vec<i64> {
    let mut terms = vec![first, second];
    while terms.len() < count {
        let n = terms.len();
        terms.push(terms[n - 1] + terms[n - 2]);
    }
    terms
}

fn two_before(draw: &mut Draw) -> Posed {
    let (first, second) = (draw.between(1, 8), draw.between(1, 9));
    let terms = sums(first, second, 7);
    let mut lines = Lines::default();
    for n in 2..6 {
        lines = lines.work(
            &format!("{} + {} = {}", terms[n - 1], terms[n - 2], terms[n]),
            format!("${}$ from ${}$ and ${}$", term(n + 1), term(n), term(n - 1)),
        );
    }
    let typed = format!("{} + {}", terms[5], terms[4]);
    Posed::value(
        format!(
            "A sequence begins with {} and {}. Each further term is the sum of the two before it: {}. Find {}.",
            tex(&format!("a_1 = {first}")),
            tex(&format!("a_2 = {second}")),
            tex("a_{n+2} = a_{n+1} + a_n"),
            tex("a_7")
        ),
        line(&typed),
        line(&terms[6].to_string()),
        Form::Any,
    )
    .slip(terms[5].to_string(), slip::ONE_PLACE_OFF)
    .slip((terms[6] + terms[5]).to_string(), slip::ONE_PLACE_OFF)
    .slip((2 * terms[5]).to_string(), slip::ONLY_ONE_BEFORE)
    .way(method::TABLE, lines.begin(&typed, "$a_7$ from $a_6$ and $a_5$").then(&terms[6].to_string(), "Add"))
    .grows(method::TABLE, grown_table(&terms[..6], 3, 0))
    .grows(method::TABLE, [(5, grown_table(&terms, 7, 0).remove(0).1)])
}

/// One term of a list does not follow the rule.
fn wrong_term(draw: &mut Draw) -> Posed {
    let (first, k, c) = (draw.between(1, 6), 2, draw.between(1, 7));
    let right = run(first, k, c, 5);
    let at = usize::try_from(draw.between(2, 3)).unwrap_or(2);
    let off = draw.nonzero(-3, 3);
    let mut shown = right.clone();
    shown[at] += off;
    // The terms after the wrong one are right again, so that one term only is to be mended.
    let told = shown.iter().map(i64::to_string).collect::<Vec<_>>().join(", ");
    let typed = format!("{k} × {} + {c}", right[at - 1]);
    let name = scenario::name(draw);
    Posed::value(
        format!(
            "{name} wrote {told} for {} and {}. One term is wrong. What should stand there?",
            tex(&format!("a_1 = {first}")),
            tex(&format!("a_{{n+1}} = {}", rule_of(k, c)))
        ),
        line(&typed),
        line(&right[at].to_string()),
        Form::Any,
    )
    .slip(shown[at].to_string(), slip::ONE_PLACE_OFF)
    .slip((k * (right[at - 1] + c)).to_string(), slip::OPERATIONS_SWAPPED)
    .slip((k * first + c).to_string(), slip::FIRST_TERM_USED_AGAIN)
    .near([(right[at] + 2 * off).to_string(), (right[at] - off).to_string()])
    .way(
        method::TABLE,
        (1..at)
            .fold(Lines::default(), |lines, n| {
                let worked = format!("{k} × {} + {c} = {}", right[n - 1], right[n]);
                lines.work(&worked, format!("${}$ is right", term(n + 1)))
            })
            .begin(
                &typed,
                format!("Work out ${}$: {} is not what comes out", term(at + 1), shown[at]),
            )
            .then(&right[at].to_string(), "So this should stand there"),
    )
}

fn find_the_rule(draw: &mut Draw) -> Posed {
    let (first, k, c) = (draw.between(1, 5), draw.between(2, 3), draw.nonzero(-3, 6));
    let first = if first * (k - 1) + c <= 0 { first + 4 } else { first };
    let terms = run(first, k, c, 4);
    let told = terms.iter().map(i64::to_string).collect::<Vec<_>>().join(", ");
    let says = |k: i64, c: i64| {
        let more = if c < 0 { format!("{} less", -c) } else { format!("{c} more") };
        let times = if k == 2 { "twice".to_owned() } else { format!("{k} times") };
        format!("{times} the term before, and {more}")
    };
    let check = |n: usize| format!("{k} × {} + {} = {}", terms[n], bracketed(c), terms[n + 1]);
    let step = terms[1] - terms[0];
    Posed::shown(
        format!("Which rule gives {told}, … from the second term on?"),
        says(k, c),
        (0..3).map(|n| line(&check(n))).collect(),
    )
    .slip(format!("the term before, and {} more", step.max(1)), slip::FIRST_TERM_USED_AGAIN)
    .slip(says(k, c + 1), slip::ONE_PLACE_OFF)
    .near([says(k + 1, terms[1] - (k + 1) * terms[0])])
    .way(
        method::TABLE,
        Lines::default()
            .work(&check(0), "Try it with the first two terms")
            .work(&check(1), "with the next")
            .work(&check(2), "and with the last")
            .end(format!("The rule is: {}.", says(k, c))),
    )
}

/// The ancestors of a drone, so many generations back.
fn family(generations: usize) -> Figure {
    let mut nodes = vec![TreeNode { value: "d".into(), of: None }];
    let mut youngest = 0..1;
    for _ in 0..generations {
        let next = nodes.len();
        for child in youngest {
            let of = Some(child);
            let is_drone = nodes[child].value == "d";
            nodes.push(TreeNode { value: "q".into(), of });
            if !is_drone {
                nodes.push(TreeNode { value: "d".into(), of });
            }
        }
        youngest = next..nodes.len();
    }
    Figure::FamilyTree { nodes }
}

/// A drone has one parent, a queen two: the sizes of the generations.
fn drone(draw: &mut Draw) -> Posed {
    let n = usize::try_from(draw.between(5, 11)).unwrap_or(5);
    // One drone, its mother, then sums of two.
    let terms = sums(1, 1, n + 1);
    let value = terms[n];
    let typed = format!("{} + {}", terms[n - 1], terms[n - 2]);
    let mut lines = Lines::default().say(
        "A drone has a mother only; each female has a mother and a father.",
        "Think one generation back",
    );
    for k in 2..n {
        lines = lines.work(
            &format!("{} + {} = {}", terms[k - 1], terms[k - 2], terms[k]),
            format!("Generation {k}: the two before together"),
        );
    }
    let name = scenario::name(draw);
    Posed::value(
        format!("A drone comes from an egg without a father: it has 1 parent, a queen. Every queen has 2 parents, a queen and a drone. So a drone has 1 parent, 2 grandparents and 3 great-grandparents. {name} draws the family tree. How many ancestors stand in generation {n} back, if the parent is generation 1?"),
        line(&typed),
        line(&value.to_string()),
        Form::Any,
    )
    .slip(terms[n - 1].to_string(), slip::ONE_PLACE_OFF)
    .slip((value + terms[n - 1]).to_string(), slip::ONE_PLACE_OFF)
    .slip((2 * terms[n - 1]).to_string(), slip::ONLY_ONE_BEFORE)
    .figure(family(3))
    .grows(method::TABLE, [(1, family(2)), (2, family(3)), (3, family(4)), (4, family(5))])
    .way(method::TABLE, lines.begin(&typed, format!("Generation {n}")).then(&value.to_string(), "Add"))
    .answered(format!("In generation {n} there are {value} ancestors."), "ancestors")
}

/// A stock that loses a share and gains a fixed number: where does it settle?
fn settles(draw: &mut Draw) -> Posed {
    let (tenths, hundreds) = (draw.between(5, 9), draw.between(2, 9));
    let gain = hundreds * 100 * (10 - tenths) / 10 * 10;
    let limit = hundreds * 1000;
    let keep = decimal(tenths, 1);
    let start = limit + draw.nonzero(-4, 4) * 100;
    let lost = (10 - tenths) * 10;
    let (who, verb) = *draw.one_of(&[
        ("A colony", "bees"),
        ("A meadow", "clover plants"),
        ("A store room", "empty jars"),
    ]);
    let equation = format!("L = {keep}L + {gain}");
    let posed = Posed::equation(
        format!("{who} starts the month with {start} {verb}. Each week {lost}% of them are lost and {gain} are added. Their number comes nearer and nearer to one that no longer changes. Which one is it?"),
        line(&equation),
        "L",
        from_int(limit),
    )
    .slip((gain * 10 / tenths).to_string(), slip::OPERATIONS_SWAPPED)
    .slip((start + gain).to_string(), slip::FIRST_TERM_USED_AGAIN)
    .near([(limit / 10).to_string()])
    .figure(week_by_week(start, tenths, gain))
    .answered(format!("It settles at {limit} {verb}."), verb);
    match board(&equation, "L", None) {
        Some(working) => posed.way(method::TABLE, working),
        None => posed,
    }
}

/// What is there after each of the first weeks, in whole numbers, as points of a plot.
#[expect(clippy::cast_precision_loss, reason = "numbers of a drawing are small")]
fn week_by_week(start: i64, tenths: i64, gain: i64) -> Figure {
    let weeks = std::iter::successors(Some(start), |now| Some((now * tenths + 5) / 10 + gain));
    let counts: Vec<i64> = weeks.take(9).collect();
    let top = counts.iter().copied().max().unwrap_or(1) as f64;
    let point = |(week, &count): (u32, &i64)| Place {
        at: [f64::from(week), count as f64],
        label: String::new(),
    };
    Figure::Graph {
        letter: "week".into(),
        x: [-0.5, 9.9],
        y: [-top / 12.0, top * 1.15],
        curves: Vec::new(),
        points: (0..).zip(&counts).map(point).collect(),
    }
}

/// The ratio of neighbours settles where `r = k + 1/r`.
fn ratio_settles(draw: &mut Draw) -> Posed {
    let k = draw.between(1, 6);
    let terms = {
        let mut terms = vec![1, draw.between(1, 4)];
        while terms.len() < 6 {
            let n = terms.len();
            terms.push(k * terms[n - 1] + terms[n - 2]);
        }
        terms
    };
    let told = terms.iter().map(i64::to_string).collect::<Vec<_>>().join(", ");
    let rule = if k == 1 {
        "a_{n+2} = a_{n+1} + a_n".to_owned()
    } else {
        format!("a_{{n+2}} = {k}a_{{n+1}} + a_n")
    };
    let equation = format!("r = {k} + 1/r");
    let d = k * k + 4;
    let exact = format!("({k} + sqrt({d}))/2");
    let squared = sum(&[(1, "r^2"), (-k, "r"), (-1, "")]);
    let answer = format!("r ≈ {}", nearest(&exact, 3));
    rounded_solution(
        format!(
            "In {told}, … each term from the third on is {}. The ratio {} of neighbours settles at a positive number with {}. Find it to 3 decimal places.",
            tex(&rule),
            tex("r = a_{n+1}/a_n"),
            tex(&equation)
        ),
        &equation,
        "r",
        &exact,
        3,
    )
    .given("r > 0")
    .slip(format!("r ≈ {}", nearest(&format!("(sqrt({d}) - {k})/2"), 3)), slip::OPERATIONS_SWAPPED)
    .slip(format!("r ≈ {}", nearest(&format!("{}/{}", terms[2], terms[1]), 3)), slip::ONE_PLACE_OFF)
    .near([format!("r ≈ {}", nearest(&format!("{exact} + 1"), 3)), format!("r ≈ {k}.000")])
    .way(
        method::TABLE,
        Lines::start(&equation)
            .then(&format!("r^2 = {} + 1", sum(&[(k, "r")])), "Multiply both sides by $r$")
            .then(&format!("{squared} = 0"), "Bring everything to one side")
            .then(&format!("r = {exact}"), "Quadratic formula; the other root is negative")
            .round(&answer, "Round to 3 decimal places"),
    )
    .figure(with_ratios(&terms))
}

/// Terms with the ratio of each to the one before.
fn with_ratios(terms: &[i64]) -> Figure {
    let ratios = terms.windows(2).map(|pair| nearest(&format!("{}/{}", pair[1], pair[0]), 3));
    let ratios = std::iter::once("–".to_owned()).chain(ratios).collect();
    pictured::table(&[("a_n", terms.iter().map(i64::to_string).collect()), ("ratio", ratios)])
}
