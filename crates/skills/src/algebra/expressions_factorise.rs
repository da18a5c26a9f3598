//! Factorising.
//!
//! Methods: two numbers with the right product and sum; the area grid; splitting the middle term. Source: Harriot,
//! *Artis analyticae praxis*. What counts as nice: factors with whole numbers to 9.

use crate::kit::*;

/// The skill `expressions.factorise`.
pub struct Factorise;

slips! {
    SIGN_PAIR_WRONG = "sign-pair-wrong": "Multiply your brackets out. Do both signs come back?",
        "Takes a pair of numbers with the wrong signs.";
    FACTOR_LEFT_INSIDE = "factor-left-inside": "Have the terms in the bracket still a factor in common?",
        "Does not take the whole common factor out.";
    SQUARE_OF_DIFFERENCE = "square-of-difference": "Multiply your brackets out. Is there a middle term?",
        "Takes a difference of squares for the square of a difference.";
}

methods! {
    PRODUCT_SUM = "product-sum": "Product and sum",
    AREA_GRID = "area-grid": "Area grid",
    GROUPING = "grouping": "Split the middle term",
}

impl Skill for Factorise {
    fn card(&self) -> Card {
        Card {
            id: "expressions.factorise",
            strand: Strand::Algebra,
            grades: (8, 10),
            title: "Factorising",
            objective: "I can write a sum as a product.",
            vocabulary: terms![
                "factorise": "write a sum as a product",
                "common factor": "what divides every term",
                "trinomial": "a sum of three terms",
                "difference of squares": "one square taken from another",
            ],
            methods: METHODS,
        }
    }

    fn slips(&self) -> &'static [&'static dyn Slip] {
        SLIPS
    }

    fn pose(&self, stage: Stage, index: usize, draw: &mut Draw) -> Posed {
        match (stage, index % 3) {
            (Stage::Grip, 0) => common(draw),
            (Stage::Grip, 1) => trinomial(draw),
            (Stage::Grip, _) => squares(draw),
            (Stage::Tilt, 0) => complete(draw),
            (Stage::Tilt, _) => leading(draw),
            (Stage::Climb, 0) => in_the_square(draw),
            (Stage::Climb, 1) => side_of_a_field(draw),
            (Stage::Climb, _) => cancelled(draw),
        }
    }
}

fn quadratic(a: i64, b: i64, c: i64) -> String {
    sum(&[(a, "x^2"), (b, "x"), (c, "")])
}

/// `(x - 3)`
fn bracket(a: i64, b: i64) -> String {
    format!("({})", sum(&[(a, "x"), (b, "")]))
}

fn ask(typed: &str) -> String {
    format!("Factorise {}.", tex(typed))
}

fn factorised(prompt: String, typed: &str, answer: &str) -> Posed {
    Posed::value(prompt, line(typed), line(answer), Form::Factorised)
}

/// A number alone, or a number with the letter, taken out.
fn common(draw: &mut Draw) -> Posed {
    let ((a, b), k) = (draw.coprime(2, 9), draw.between(2, 9));
    let b = if draw.coin() { b } else { -b };
    let (typed, factor, rest) = if draw.coin() {
        (sum(&[(k * a, "x"), (k * b, "")]), k.to_string(), bracket(a, b))
    } else {
        (sum(&[(k * a, "x^2"), (k * b, "x")]), format!("{k}x"), bracket(a, b))
    };
    let square = factor.contains('x');
    let answer = format!("{factor}{rest}");
    let part = if square { format!("{factor}({a}x^2 + {})", bracketed(b)) } else { rest.clone() };
    factorised(ask(&typed), &typed, &answer)
        .slip(format!("{factor}{}", bracket(a, -b)), slip::SIGN_PAIR_WRONG)
        .near([
            part,
            format!("{factor}{}", bracket(a + 1, b)),
            format!("{factor}{}", bracket(a, b + k)),
        ])
        .way(
            method::PRODUCT_SUM,
            Lines::start(&typed)
                .then(
                    &format!("{factor} × {a}x + {factor} × {}", bracketed(b)),
                    format!("The largest factor of both terms is {}", tex(&factor)),
                )
                .then(&answer, "Take it out of both"),
        )
}

/// The workings of `x^2 + (p + q)x + pq`.
fn worked(posed: Posed, p: i64, q: i64) -> Posed {
    let (typed, answer) =
        (quadratic(1, p + q, p * q), format!("{}{}", bracket(1, p), bracket(1, q)));
    let split = sum(&[(1, "x^2"), (p, "x"), (q, "x"), (p * q, "")]);
    posed
        .way(
            method::PRODUCT_SUM,
            Lines::start(&typed)
                .work(
                    &format!("{} × {} = {}", bracketed(p), bracketed(q), p * q),
                    "Two numbers whose product is the last term",
                )
                .work(
                    &format!("{} + {} = {}", bracketed(p), bracketed(q), p + q),
                    "and whose sum is the number in front of $x$",
                )
                .then(&answer, "Write them into the brackets"),
        )
        .way(
            method::AREA_GRID,
            Lines::start(&typed)
                .then(
                    &split,
                    format!(
                        "Four fields of the grid: the square, {}, {} and {}",
                        tex(&sum(&[(p, "x")])),
                        tex(&sum(&[(q, "x")])),
                        p * q
                    ),
                )
                .then(&answer, "The sides of the grid are the factors"),
        )
        .grows(method::AREA_GRID, {
            let (across, down) = (["x".to_owned(), q.to_string()], ["x".to_owned(), p.to_string()]);
            let upper = ["x^2".to_owned(), sum(&[(q, "x")])];
            let lower = [sum(&[(p, "x")]), (p * q).to_string()];
            [(2, pictured::area_grid(&across, &down, &[&upper, &lower]))]
        })
        .way(
            method::GROUPING,
            Lines::start(&typed)
                .then(&split, "Split the middle term")
                .then(
                    &format!("x{} + {}{}", bracket(1, p), bracketed(q), bracket(1, p)),
                    "Take a factor out of each pair",
                )
                .then(&answer, "Both have the same bracket"),
        )
}

fn pair(draw: &mut Draw) -> (i64, i64) {
    loop {
        let (p, q) = (draw.nonzero(-9, 9), draw.nonzero(-9, 9));
        if p + q != 0 && p.abs() > 1 && p.abs() != q.abs() {
            return (p, q);
        }
    }
}

fn trinomial(draw: &mut Draw) -> Posed {
    let (p, q) = pair(draw);
    let (typed, answer) =
        (quadratic(1, p + q, p * q), format!("{}{}", bracket(1, p), bracket(1, q)));
    let posed = factorised(ask(&typed), &typed, &answer)
        .slip(format!("{}{}", bracket(1, -p), bracket(1, -q)), slip::SIGN_PAIR_WRONG)
        .slip(format!("{}{}", bracket(1, -p), bracket(1, q)), slip::SIGN_PAIR_WRONG)
        .near([
            format!("{}{}", bracket(1, p + q), bracket(1, p * q)),
            format!("{}{}", bracket(1, p + 1), bracket(1, q)),
        ]);
    worked(posed, p, q)
}

fn squares(draw: &mut Draw) -> Posed {
    let (a, b) = draw.coprime(1, 9);
    let typed = sum(&[(a * a, "x^2"), (-b * b, "")]);
    let (plus, minus) = (bracket(a, b), bracket(a, -b));
    let split = format!(
        "{} + {} - {} - {}",
        sum(&[(a * a, "x^2")]),
        sum(&[(a * b, "x")]),
        sum(&[(a * b, "x")]),
        b * b
    );
    factorised(ask(&typed), &typed, &format!("{plus}{minus}"))
        .slip(format!("{minus}{minus}"), slip::SQUARE_OF_DIFFERENCE)
        .slip(format!("{plus}{plus}"), slip::SIGN_PAIR_WRONG)
        .near([format!("{}{}", bracket(a * a, b), bracket(1, -b - 1))])
        .way(
            method::PRODUCT_SUM,
            Lines::start(&typed)
                .then(&format!("({})^2 - {b}^2", sum(&[(a, "x")])), "Write both terms as squares")
                .then(&format!("{plus}{minus}"), "A difference of squares is sum times difference"),
        )
        .way(
            method::AREA_GRID,
            Lines::start(&typed)
                .then(&split, "Four fields of the grid; the two in the middle cancel")
                .then(&format!("{plus}{minus}"), "The sides of the grid are the factors"),
        )
}

fn complete(draw: &mut Draw) -> Posed {
    let (p, q) = pair(draw);
    let told = format!("{} = {}(x + k)", quadratic(1, p + q, p * q), bracket(1, p));
    let equation = format!("{p} + k = {}", p + q);
    Posed::equation(
        format!("Which number is $k$, if {}?", tex(&told)),
        line(&equation),
        "k",
        from_int(q),
    )
    .slip((-q).to_string(), slip::SIGN_PAIR_WRONG)
    .near([(q + 2 * p).to_string(), (p * q).to_string()])
    .way(
        method::PRODUCT_SUM,
        Lines::start(&equation)
            .then(
                &format!("k = {} - {}", p + q, bracketed(p)),
                format!("The two numbers add up to {}", p + q),
            )
            .then(&format!("k = {q}"), "Work it out")
            .work(
                &format!("{} × {} = {}", bracketed(p), bracketed(q), p * q),
                "Check: their product is the last term",
            ),
    )
}

/// `(ax + b)(cx + d)` with a factor in front of the square.
fn leading(draw: &mut Draw) -> Posed {
    let (a, b, d) = loop {
        let (a, b, d) = (draw.between(2, 5), draw.nonzero(-7, 7), draw.nonzero(-7, 7));
        if gcd(a, b) == 1 && a * d + b != 0 {
            break (a, b, d);
        }
    };
    let typed = quadratic(a, a * d + b, b * d);
    let answer = format!("{}{}", bracket(a, b), bracket(1, d));
    let split = sum(&[(a, "x^2"), (a * d, "x"), (b, "x"), (b * d, "")]);
    factorised(ask(&typed), &typed, &answer)
        .slip(format!("{}{}", bracket(a, -b), bracket(1, -d)), slip::SIGN_PAIR_WRONG)
        .slip(format!("{}{}", bracket(a, -b), bracket(1, d)), slip::SIGN_PAIR_WRONG)
        .near([
            format!("{}{}", bracket(a, d), bracket(1, b)),
            format!("{}{}", bracket(a, b + 1), bracket(1, d)),
        ])
        .way(
            method::GROUPING,
            Lines::start(&typed)
                .work(
                    &format!(
                        "{} × {} = {} × {}",
                        bracketed(a * d),
                        bracketed(b),
                        a,
                        bracketed(b * d)
                    ),
                    "Two numbers whose product is that of the first and the last coefficient",
                )
                .work(
                    &format!("{} + {} = {}", bracketed(a * d), bracketed(b), a * d + b),
                    "and whose sum is the middle one",
                )
                .then(&split, "Split the middle term with them")
                .then(
                    &format!("{a}x{} + {}{}", bracket(1, d), bracketed(b), bracket(1, d)),
                    "Take a factor out of each pair",
                )
                .then(&answer, "Both have the same bracket"),
        )
        .way(
            method::AREA_GRID,
            Lines::start(&typed)
                .then(&split, "Four fields of the grid; opposite fields have the same product")
                .then(&answer, "The sides of the grid are the factors"),
        )
}

/// A trinomial in the square: substitute, then difference of squares.
fn in_the_square(draw: &mut Draw) -> Posed {
    let (b, d) = loop {
        let (b, d) = (draw.between(1, 5), draw.between(1, 9));
        let root = (1..=9).any(|n| n * n == d);
        if d != b * b && !root {
            break (b, d);
        }
    };
    let typed = sum(&[(1, "x^4"), (d - b * b, "x^2"), (-d * b * b, "")]);
    let answer = format!("(x^2 + {d}){}{}", bracket(1, b), bracket(1, -b));
    factorised(format!("Factorise as far as possible: {}.", tex(&typed)), &typed, &answer)
        .slip(format!("(x^2 - {d})(x^2 + {})", b * b), slip::SIGN_PAIR_WRONG)
        .slip(
            format!("(x^2 + {d}){}{}", bracket(1, -b), bracket(1, -b)),
            slip::SQUARE_OF_DIFFERENCE,
        )
        .near([format!("(x^2 + {d}){}{}", bracket(1, b), bracket(1, b))])
        .way(
            method::PRODUCT_SUM,
            Lines::start(&typed)
                .then(
                    &format!(
                        "(x^2)^2 + {} × x^2 + {}",
                        bracketed(d - b * b),
                        bracketed(-d * b * b)
                    ),
                    "It is a trinomial in $x^2$",
                )
                .then(
                    &format!("(x^2 + {d})(x^2 - {})", b * b),
                    format!("{d} and {} have the right product and sum", -b * b),
                )
                .then(&answer, "The second bracket is a difference of squares"),
        )
}

/// A field whose area and one side are known as expressions.
fn side_of_a_field(draw: &mut Draw) -> Posed {
    let (p, q) = loop {
        let (p, q) = (draw.between(1, 9), draw.between(1, 9));
        if p != q {
            break (p, q);
        }
    };
    let field = *draw.one_of(&["bed of lavender", "clover field", "sheet of beeswax"]);
    let unit = if field == "sheet of beeswax" { "cm" } else { "m" };
    let area = quadratic(1, p + q, p * q);
    let typed = format!("({area}) / {}", bracket(1, p));
    let answer = sum(&[(1, "x"), (q, "")]);
    Posed::value(
        format!(
            "The area of a {field} is {} {unit}², and it is {} {unit} wide. Write its length in {unit} with $x$.",
            tex(&area),
            tex(&sum(&[(1, "x"), (p, "")]))
        ),
        line(&typed),
        line(&answer),
        Form::Expanded,
    )
    .slip(sum(&[(1, "x"), (-q, "")]), slip::SIGN_PAIR_WRONG)
    .near([sum(&[(1, "x"), (p * q, "")]), sum(&[(1, "x"), (p + q, "")]), sum(&[(1, "x"), (q + 1, "")]),
        sum(&[(1, "x"), (q + 2, "")])])
    .way(
        method::PRODUCT_SUM,
        Lines::start(&typed)
            .work(&format!("{p} + {q} = {}", p + q), "Factorise the area: these are the two numbers")
            .then(
                &format!("({}{}) / {}", bracket(1, p), bracket(1, q), bracket(1, p)),
                "Width times length",
            )
            .then(&answer, "Divide by the width"),
    )
}

/// A fraction whose numerator and denominator share a bracket.
fn cancelled(draw: &mut Draw) -> Posed {
    let (p, q) = pair(draw);
    let above = quadratic(1, p + q, p * q);
    let (below, of_squares) =
        (sum(&[(1, "x^2"), (-p * p, "")]), format!("{}{}", bracket(1, p), bracket(1, -p)));
    let typed = format!("({above}) / ({below})");
    let answer = format!("{} / {}", bracket(1, q), bracket(1, -p));
    Posed::value(
        format!("Factorise and cancel: {}.", tex(&typed)),
        line(&typed),
        line(&answer),
        Form::Any,
    )
    .slip(format!("{} / {}", bracket(1, -q), bracket(1, -p)), slip::SIGN_PAIR_WRONG)
    .slip(format!("{} / {}", bracket(1, q), bracket(1, p)), slip::SQUARE_OF_DIFFERENCE)
    .near([format!("{} / {}", bracket(1, q + 1), bracket(1, -p)), format!("{}x / ({})", p + q, -p)])
    .way(
        method::PRODUCT_SUM,
        Lines::start(&typed)
            .then(
                &format!("({}{}) / ({below})", bracket(1, p), bracket(1, q)),
                format!("{p} and {q} have the right product and sum"),
            )
            .then(
                &format!("({}{}) / ({of_squares})", bracket(1, p), bracket(1, q)),
                "Below stands a difference of squares",
            )
            .then(&answer, "Cancel the bracket that both have"),
    )
}
