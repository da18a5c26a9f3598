//! Calculating with square roots.
//!
//! Methods: simplify each root first, then collect; the conjugate below a fraction bar. What counts as nice: radicands
//! without a square factor to 15.

use crate::kit::*;

/// The skill `radicals.operate`.
pub struct Operate;

slips! {
    ROOTS_ADDED_INSIDE = "roots-added-inside": "Try it with 9 and 16. Is the root of the sum the sum of the roots?",
        "Adds the numbers under the roots.";
    UNLIKE_ROOTS_ADDED = "unlike-roots-added": "Only roots of the same number are alike.",
        "Adds roots of different numbers as if they were alike.";
    ONLY_BELOW_MULTIPLIED = "only-below-multiplied": "What is done below the bar is done above it, too.",
        "Multiplies only the denominator.";
    SQUARE_LEFT_INSIDE = "square-left-inside": "Is there still a square that divides the number under the root?",
        "Leaves a square factor under the root.";
}

methods! {
    SIMPLIFY_FIRST = "simplify-first": "Simplify first",
    CONJUGATE = "conjugate": "Conjugate",
}

impl Skill for Operate {
    fn card(&self) -> Card {
        Card {
            id: "radicals.operate",
            strand: Strand::Algebra,
            grades: (9, 11),
            title: "Calculating with roots",
            objective: "I can multiply, add and divide roots and give exact answers.",
            vocabulary: terms![
                "like radicals": "roots of the same number",
                "rationalise": "rewrite so that no root stands below the fraction bar",
                "conjugate": "the same two terms with the sign between them changed",
            ],
            methods: METHODS,
        }
    }

    fn slips(&self) -> &'static [&'static dyn Slip] {
        SLIPS
    }

    fn pose(&self, stage: Stage, index: usize, draw: &mut Draw) -> Posed {
        match (stage, index % 3) {
            (Stage::Grip, 0) => multiply(draw),
            (Stage::Grip, 1) => like(draw),
            (Stage::Grip, _) => unlike_at_first(draw),
            (Stage::Tilt, 0) => one_root_below(draw),
            (Stage::Tilt, _) => two_terms_below(draw),
            (Stage::Climb, 0) => area(draw),
            (Stage::Climb, 1) => perimeter(draw),
            (Stage::Climb, _) => two_brackets(draw),
        }
    }
}

fn root(outside: i64, inside: i64) -> String {
    match (outside, inside) {
        (n, 1) => n.to_string(),
        (1, r) => format!("sqrt({r})"),
        (-1, r) => format!("-sqrt({r})"),
        (n, r) => format!("{n} sqrt({r})"),
    }
}

fn exact(prompt: String, typed: &str, answer: &str) -> Posed {
    Posed::value(prompt, line(typed), line(answer), Form::SimplifiedRadical)
}

fn work_out(typed: &str) -> String {
    format!("Work out {}. Give the exact value.", tex(typed))
}

fn multiply(draw: &mut Draw) -> Posed {
    let (a, b) = loop {
        let (a, b) =
            (*draw.one_of(&[2, 3, 5, 6, 7, 10, 14, 15]), *draw.one_of(&[2, 3, 6, 10, 14, 15]));
        if a != b && gcd(a, b) > 1 {
            break (a, b);
        }
    };
    let (outside, inside) = out_of_root(a * b);
    let (typed, answer) = (format!("sqrt({a}) × sqrt({b})"), root(outside, inside));
    exact(work_out(&typed), &typed, &answer)
        .slip(root(1, a + b), slip::ROOTS_ADDED_INSIDE)
        .slip((a * b).to_string(), slip::SQUARE_LEFT_INSIDE)
        .near([
            root(outside + 1, inside),
            root(outside * outside, inside),
            root(outside, inside + 1),
        ])
        .way(
            method::SIMPLIFY_FIRST,
            Lines::start(&typed)
                .then(
                    &format!("sqrt({})", a * b),
                    "The product of the roots is the root of the product",
                )
                .then(
                    &format!("sqrt({} × {inside})", outside * outside),
                    format!("The largest square factor is {}", outside * outside),
                )
                .then(&answer, "Bring it out"),
        )
}

fn like(draw: &mut Draw) -> Posed {
    let (r, a, b) = (*draw.one_of(&[2, 3, 5, 6, 7]), draw.between(2, 9), draw.nonzero(-7, 9));
    let b = if a + b == 0 { b - 1 } else { b };
    let typed = if b < 0 {
        format!("{} - {}", root(a, r), root(-b, r))
    } else {
        format!("{} + {}", root(a, r), root(b, r))
    };
    let answer = root(a + b, r);
    exact(work_out(&typed), &typed, &answer)
        .slip(root(a + b, 2 * r), slip::ROOTS_ADDED_INSIDE)
        .near([root(a - b, r), root(a + b, r + 1), root(a + b + 1, r), root(a * b, r)])
        .way(
            method::SIMPLIFY_FIRST,
            Lines::start(&typed)
                .then(
                    &format!("({a} + {}) sqrt({r})", bracketed(b)),
                    "Roots of the same number: add the numbers in front",
                )
                .then(&answer, "Work it out"),
        )
}

/// Roots that turn out alike when they are simplified.
fn unlike_at_first(draw: &mut Draw) -> Posed {
    let r = *draw.one_of(&[2, 3, 5, 6, 7]);
    let (m, n) = draw.coprime(2, 5);
    let minus = draw.coin();
    let (first, second) = if minus { (n, m) } else { (m, n) };
    let sign = if minus { '-' } else { '+' };
    let typed = format!("sqrt({}) {sign} sqrt({})", first * first * r, second * second * r);
    let total = if minus { first - second } else { first + second };
    let answer = root(total, r);
    let under = if minus {
        (first * first - second * second) * r
    } else {
        (first * first + second * second) * r
    };
    exact(work_out(&typed), &typed, &answer)
        .slip(format!("sqrt({under})"), slip::ROOTS_ADDED_INSIDE)
        .near([root(total + 1, r), root(first * second, r), root(total, 2 * r)])
        .way(
            method::SIMPLIFY_FIRST,
            Lines::start(&typed)
                .then(
                    &format!("{} {sign} {}", root(first, r), root(second, r)),
                    "Bring the square factors out of each root",
                )
                .then(&answer, "Collect the like roots"),
        )
}

fn one_root_below(draw: &mut Draw) -> Posed {
    let (r, k) = (*draw.one_of(&[2, 3, 5, 6, 7, 10]), draw.between(1, 5));
    let above = if draw.coin() { k * r } else { k };
    let common = gcd(above, r);
    let answer = match (above / common, r / common) {
        (a, 1) => root(a, r),
        (a, below) => format!("({})/{below}", root(a, r)),
    };
    let typed = format!("{above}/sqrt({r})");
    Posed::value(
        format!("Rationalise the denominator: {}.", tex(&typed)),
        line(&typed),
        line(&answer),
        Form::SimplifiedRadical,
    )
    .slip(fraction(above, r), slip::ONLY_BELOW_MULTIPLIED)
    .slip(root(above, r), slip::ONLY_BELOW_MULTIPLIED)
    .near([format!("{}/{}", root(above + 1, r), r), format!("{}/{}", root(above, r), r + 1)])
    .way(
        method::SIMPLIFY_FIRST,
        Lines::start(&typed)
            .then(
                &format!("({above} sqrt({r}))/(sqrt({r}) × sqrt({r}))"),
                format!("Multiply above and below by {}", tex(&root(1, r))),
            )
            .then(&format!("({})/{r}", root(above, r)), "A root times itself is the number")
            .then(&answer, if common == 1 { "Nothing cancels" } else { "Cancel" }),
    )
}

fn two_terms_below(draw: &mut Draw) -> Posed {
    let (r, a) = loop {
        let (r, a) = (*draw.one_of(&[2, 3, 5, 6, 7, 10]), draw.between(1, 4));
        if a * a != r && (a * a - r).abs() <= 8 {
            break (r, a);
        }
    };
    let d = a * a - r;
    let plus = draw.coin();
    let (sign, other) = if plus { ('+', '-') } else { ('-', '+') };
    // The answer has whole numbers only.
    let k = draw.between(1, 3);
    let above = k * d.abs();
    let typed = format!("{above}/({a} {sign} sqrt({r}))");
    let factor = if d > 0 { k } else { -k };
    let (whole, of_root) = (factor * a, if plus { -factor } else { factor });
    let second = if of_root < 0 {
        format!("- {}", root(-of_root, r))
    } else {
        format!("+ {}", root(of_root, r))
    };
    let answer = format!("{whole} {second}");
    Posed::value(
        format!("Rationalise the denominator: {}.", tex(&typed)),
        line(&typed),
        line(&answer),
        Form::SimplifiedRadical,
    )
    .slip(format!("{whole} {}", if of_root < 0 { second.replace('-', "+") } else { second.replace('+', "-") }), slip::ONLY_BELOW_MULTIPLIED)
    .slip(fraction(above, d), slip::ONLY_BELOW_MULTIPLIED)
    .near([format!("{} {second}", whole + 1), format!("{} {second}", -whole)])
    .way(
        method::CONJUGATE,
        Lines::start(&typed)
            .then(
                &format!("({above}({a} {other} sqrt({r})))/(({a} {sign} sqrt({r}))({a} {other} sqrt({r})))"),
                format!("Multiply above and below by {}", tex(&format!("{a} {other} sqrt({r})"))),
            )
            .then(
                &format!("({above}({a} {other} sqrt({r})))/({} - {r})", a * a),
                "Below stands a difference of squares",
            )
            .then(
                &format!("({above}({a} {other} sqrt({r})))/{}", bracketed(d)),
                "Work out the denominator",
            )
            .then(&answer, "Divide both terms"),
    )
}

fn bed(draw: &mut Draw) -> (&'static str, &'static str) {
    *draw.one_of(&[
        ("bed of thyme", "m"),
        ("sheet of beeswax", "cm"),
        ("window of the honey room", "dm"),
    ])
}

fn area(draw: &mut Draw) -> Posed {
    let (thing, unit) = bed(draw);
    let r = *draw.one_of(&[2, 3, 5, 6]);
    let (m, n, s) = (draw.between(2, 4), draw.between(2, 4), draw.between(2, 3));
    let (first, second) = (m * m * r, s * n * n);
    let typed = format!("sqrt({first}) × sqrt({second})");
    let (outside, inside) = out_of_root(first * second);
    let answer = root(outside, inside);
    exact(
        format!(
            "A {thing} is {} {unit} long and {} {unit} wide. Give its exact area in {unit}².",
            tex(&format!("sqrt({first})")),
            tex(&format!("sqrt({second})"))
        ),
        &typed,
        &answer,
    )
    .slip(root(1, first + second), slip::ROOTS_ADDED_INSIDE)
    .slip((first * second).to_string(), slip::SQUARE_LEFT_INSIDE)
    .near([root(outside + 1, inside), root(outside * outside, inside), root(outside, inside + 1)])
    .way(
        method::SIMPLIFY_FIRST,
        Lines::start(&typed)
            .then(
                &{
                    let ((a, b), (c, d)) = (out_of_root(first), out_of_root(second));
                    format!("{} × {}", root(a, b), root(c, d))
                },
                "Simplify both roots",
            )
            .then(&answer, "Multiply what stands in front, and what stands under the roots"),
    )
}

fn perimeter(draw: &mut Draw) -> Posed {
    let (thing, unit) = bed(draw);
    let r = *draw.one_of(&[2, 3, 5, 6, 7]);
    let (m, n) = draw.coprime(2, 6);
    let (long, wide) = (n * n * r, m * m * r);
    let typed = format!("2 sqrt({long}) + 2 sqrt({wide})");
    let answer = root(2 * (m + n), r);
    exact(
        format!("A {thing} is {} {unit} long and {} {unit} wide. Give the exact length of its edge all around in {unit}.", tex(&format!("sqrt({long})")), tex(&format!("sqrt({wide})"))),
        &typed,
        &answer,
    )
    .slip(format!("2 sqrt({})", long + wide), slip::ROOTS_ADDED_INSIDE)
    .slip(root(m + n, r), slip::UNLIKE_ROOTS_ADDED)
    .near([root(2 * (m + n) + 1, r), root(2 * m * n, r)])
    .way(
        method::SIMPLIFY_FIRST,
        Lines::start(&typed)
            .then(&format!("{} + {}", root(2 * n, r), root(2 * m, r)), "Simplify both roots")
            .then(&answer, "Collect the like roots"),
    )
}

fn two_brackets(draw: &mut Draw) -> Posed {
    let (r, a, b) = (*draw.one_of(&[2, 3, 5, 6, 7]), draw.between(1, 6), draw.nonzero(-6, 6));
    let b = if a + b == 0 { b - 1 } else { b };
    let sign = |n: i64| if n < 0 { format!("- {}", -n) } else { format!("+ {n}") };
    let typed = format!("(sqrt({r}) + {a})(sqrt({r}) {})", sign(b));
    let (whole, front) = (r + a * b, a + b);
    let second =
        if front < 0 { format!("- {}", root(-front, r)) } else { format!("+ {}", root(front, r)) };
    let answer = if whole == 0 { root(front, r) } else { format!("{whole} {second}") };
    let four = format!("{r} {} {} {}", rooted_term(b, r), rooted_term(a, r), sign(a * b));
    exact(work_out(&typed), &typed, &answer)
        .slip(format!("{whole}"), slip::UNLIKE_ROOTS_ADDED)
        .slip(format!("{} sqrt({r})", whole + front), slip::UNLIKE_ROOTS_ADDED)
        .near([format!("{} {second}", whole + 1), format!("{} {second}", r * r + a * b)])
        .way(
            method::SIMPLIFY_FIRST,
            Lines::start(&typed)
                .then(&four, "Every term times every term; a root times itself is the number")
                .then(&answer, "Collect the whole numbers and the roots"),
        )
}

/// `+ 3 sqrt(5)`, `- sqrt(5)`
fn rooted_term(n: i64, r: i64) -> String {
    if n < 0 { format!("- {}", root(-n, r)) } else { format!("+ {}", root(n, r)) }
}
