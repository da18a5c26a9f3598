//! Expanding brackets.
//!
//! Source: Euclid, *Elements*, book II, propositions 1 and 4. What counts as nice: coefficients to 9.

use crate::kit::*;

/// The skill `expressions.expand`.
pub struct Expand;

slips! {
    SECOND_TERM_LEFT = "second-term-left": "Both terms in the bracket are multiplied.",
        "Multiplies only the first term of the bracket.";
    SQUARE_OF_EACH = "square-of-each": "Draw the square. Are there only two pieces?",
        "Squares each term and forgets the middle one.";
    SIGN_OF_LAST = "sign-of-last": "Minus times minus makes what?",
        "Gives the last term the wrong sign.";
}

methods! {
    TERM_BY_TERM = "term-by-term": "Term by term",
    AREA_GRID = "area-grid": "Area grid",
}

impl Skill for Expand {
    fn card(&self) -> Card {
        Card {
            id: "expressions.expand",
            strand: Strand::Algebra,
            grades: (7, 10),
            title: "Expanding brackets",
            objective: "I can write a product with brackets as a sum.",
            vocabulary: terms![
                "expand": "write a product as a sum",
                "term": "a part of a sum",
                "coefficient": "the number in front of a letter",
            ],
            methods: METHODS,
        }
    }

    fn slips(&self) -> &'static [&'static dyn Slip] {
        SLIPS
    }

    fn pose(&self, stage: Stage, index: usize, draw: &mut Draw) -> Posed {
        match (stage, index % 3) {
            (Stage::Grip, _) if index.is_multiple_of(2) => one(draw),
            (Stage::Grip, _) => two(draw),
            (Stage::Tilt, 0) => find_the_slip(draw),
            (Stage::Tilt, _) => missing(draw),
            (Stage::Climb, _) => area(draw),
        }
    }
}

fn plus(n: i64) -> String {
    if n < 0 { format!(" - {}", -n) } else { format!(" + {n}") }
}

fn x_term(n: i64) -> String {
    match n {
        0 => String::new(),
        1 => " + x".into(),
        -1 => " - x".into(),
        n if n < 0 => format!(" - {}x", -n),
        n => format!(" + {n}x"),
    }
}

fn one(draw: &mut Draw) -> Posed {
    let (k, a, b) = (draw.between(2, 9), draw.between(2, 7), draw.nonzero(-9, 9));
    let typed = format!("{k}({a}x{})", plus(b));
    let answer = format!("{}x{}", k * a, plus(k * b));
    Posed::value(format!("Expand {}.", tex(&typed)), line(&typed), line(&answer), Form::Expanded)
        .slip(format!("{}x{}", k * a, plus(b)), slip::SECOND_TERM_LEFT)
        .slip(format!("{}x{}", k * a, plus(-k * b)), slip::SIGN_OF_LAST)
        .near([format!("{}x{}", k + a, plus(k * b)), format!("{}x{}", k * a, plus(k + b + 20))])
        .way(
            method::TERM_BY_TERM,
            Lines::start(&typed)
                .then(&format!("{k} × {a}x + {k} × {}", bracketed(b)), "Multiply both terms")
                .then(&answer, "Work out each product"),
        )
        .way(
            method::AREA_GRID,
            Lines::start(&typed)
                .then(
                    &format!("{}x + {}", k * a, bracketed(k * b)),
                    format!("A rectangle {k} high, cut in two"),
                )
                .then(&answer, "Add the two areas"),
        )
        .grows(method::AREA_GRID, {
            let (across, down) = ([format!("{a}x"), b.to_string()], [k.to_string()]);
            let areas = [format!("{}x", k * a), (k * b).to_string()];
            let empty = pictured::area_grid(&across, &down, &[]);
            [(0, empty), (1, pictured::area_grid(&across, &down, &[&areas]))]
        })
}

fn product(prompt: String, a: i64, b: i64) -> Posed {
    let typed = format!("(x{})(x{})", plus(a), plus(b));
    let answer = format!("x^2{}{}", x_term(a + b), plus(a * b));
    let square = format!("x^2{}", plus(a * b));
    Posed::value(prompt, line(&typed), line(&answer), Form::Expanded)
        .slip(
            if a + b == 0 { format!("x^2 + x{}", plus(a * b)) } else { square },
            slip::SQUARE_OF_EACH,
        )
        .slip(format!("x^2{}{}", x_term(a + b), plus(-a * b)), slip::SIGN_OF_LAST)
        .near([
            format!("x^2{}{}", x_term(a - b - 1), plus(a * b)),
            format!("x^2{}{}", x_term(a + b), plus(a + b + 30)),
            format!("x^2{}{}", x_term(a * b + 31), plus(a + b + 1)),
        ])
        .way(
            method::TERM_BY_TERM,
            Lines::start(&typed)
                .then(
                    &format!(
                        "x × x + x × {} + {} × x + {} × {}",
                        bracketed(b),
                        bracketed(a),
                        bracketed(a),
                        bracketed(b)
                    ),
                    "Every term times every term",
                )
                .then(
                    &format!("x^2{}{}{}", x_term(b), x_term(a), plus(a * b)),
                    "Work out each product",
                )
                .then(&answer, "Collect like terms"),
        )
        .way(
            method::AREA_GRID,
            Lines::start(&typed)
                .then(
                    &format!("x^2{}{}{}", x_term(b), x_term(a), plus(a * b)),
                    "Fill the four fields of the grid, and add them",
                )
                .then(&answer, "Collect like terms"),
        )
        .grows(method::AREA_GRID, {
            let (across, down) = (["x".to_owned(), b.to_string()], ["x".to_owned(), a.to_string()]);
            let term = |n: i64| x_term(n).replace(" + ", "").replace(" - ", "-");
            let upper = ["x^2".to_owned(), term(b)];
            let lower = [term(a), (a * b).to_string()];
            let empty = pictured::area_grid(&across, &down, &[]);
            [(0, empty), (1, pictured::area_grid(&across, &down, &[&upper, &lower]))]
        })
}

fn two(draw: &mut Draw) -> Posed {
    let (a, b) = (draw.nonzero(-9, 9), draw.nonzero(-9, 9));
    product(format!("Expand {}.", tex(&format!("(x{})(x{})", plus(a), plus(b)))), a, b)
}

fn find_the_slip(draw: &mut Draw) -> Posed {
    let a = draw.nonzero(-9, 9);
    let (typed, wrong) = (format!("(x{})^2", plus(a)), format!("x^2 + {}", a * a));
    with_slip(product(String::new(), a, a), draw, &[&typed, &wrong], 1, slip::SQUARE_OF_EACH)
}

fn missing(draw: &mut Draw) -> Posed {
    let (a, b) = (draw.nonzero(-8, 8), draw.between(2, 9));
    let sum = a + b;
    let shown = format!("(x{})(x + k) = x^2{}{}", plus(a), x_term(sum), plus(a * b));
    let equation = format!("{a} × k = {}", a * b);
    Posed::equation(
        format!("Find the number $k$: {}", tex(&shown)),
        line(&equation),
        "k",
        from_int(b),
    )
    .slip((-b).to_string(), slip::SIGN_OF_LAST)
    .near([(a * b).to_string()])
    .way(
        method::AREA_GRID,
        Lines::start(&equation)
            .then(
                &format!("k = {} ÷ {}", a * b, bracketed(a)),
                format!("The last field holds {a} times k"),
            )
            .then(&format!("k = {b}"), "Work it out"),
    )
}

fn area(draw: &mut Draw) -> Posed {
    let (a, b) = (draw.between(2, 9), draw.between(2, 9));
    let thing = *draw.one_of(&["bed of clover", "bee meadow", "herb garden"]);
    product(
        format!(
            "A square {thing} has sides of {} metres. One side grows by {a} m and the other by {b} m. Write its area as a sum.",
            tex("x")
        ),
        a,
        b,
    )
}
