//! Chains of legal steps made at random are equivalent, each and from end to end, and each has a name; one wrong
//! step among them is found.

use algebra::number::from_int;
use algebra::solve::linear_coefficients;
use algebra::write::text_line;
use algebra::{Expr, Line, StepVerdict, compare};
use proptest::prelude::*;
use teaching::moves;

/// `a x + b`
#[derive(Debug, Clone, Copy)]
struct Side {
    a: i64,
    b: i64,
}

impl Side {
    fn expr(self) -> Expr {
        let x = || Expr::symbol("x");
        let term = match self.a {
            0 => None,
            1 => Some(x()),
            -1 => Some(x().negative()),
            a if a < 0 => Some(Expr::int(-a).times(x()).negative()),
            a => Some(Expr::int(a).times(x())),
        };
        match (term, self.b) {
            (None, b) if b < 0 => Expr::int(-b).negative(),
            (None, b) => Expr::int(b),
            (Some(term), 0) => term,
            (Some(term), b) if b < 0 => term.minus(Expr::int(-b)),
            (Some(term), b) => term.plus(Expr::int(b)),
        }
    }
}

fn equation(left: Side, right: Side) -> Line {
    Line::equation(left.expr(), right.expr())
}

/// A step that may always be made.
#[derive(Debug, Clone, Copy)]
enum Legal {
    Add(i64),
    AddLetter(i64),
    Multiply(i64),
    Swap,
}

fn legal() -> impl Strategy<Value = Legal> {
    prop_oneof![
        (1i64..9).prop_map(Legal::Add),
        (1i64..9).prop_map(|n| Legal::Add(-n)),
        (1i64..5).prop_map(Legal::AddLetter),
        (1i64..5).prop_map(|n| Legal::AddLetter(-n)),
        (2i64..5).prop_map(Legal::Multiply),
        Just(Legal::Swap),
    ]
}

fn done(step: Legal, (l, r): (Side, Side)) -> (Side, Side) {
    let each = |change: &dyn Fn(Side) -> Side| (change(l), change(r));
    match step {
        Legal::Add(n) => each(&|s| Side { b: s.b + n, ..s }),
        Legal::AddLetter(n) => each(&|s| Side { a: s.a + n, ..s }),
        Legal::Multiply(n) => each(&|s| Side { a: s.a * n, b: s.b * n }),
        Legal::Swap => (r, l),
    }
}

fn name_of(step: Legal) -> &'static str {
    match step {
        Legal::Add(n) | Legal::AddLetter(n) if n > 0 => "add",
        Legal::Add(_) | Legal::AddLetter(_) => "subtract",
        Legal::Multiply(_) => "multiply",
        Legal::Swap => "swap",
    }
}

proptest! {
    #![proptest_config(ProptestConfig { cases: 400, ..ProptestConfig::default() })]

    #[test]
    fn legal_steps_hold_and_are_named(
        (a, b, c, d) in (-6i64..7, -9i64..10, -6i64..7, -9i64..10),
        steps in prop::collection::vec(legal(), 1..5),
    ) {
        prop_assume!(a != c);
        let start = (Side { a, b }, Side { a: c, b: d });
        let mut now = start;
        for step in steps {
            let next = done(step, now);
            let (above, below) = (equation(now.0, now.1), equation(next.0, next.1));
            let verdict = compare(&above, &below, None);
            let shown = format!("{} -> {}", text_line(&above), text_line(&below));
            let is_same = matches!(verdict, StepVerdict::Equivalent { .. });
            prop_assert!(is_same, "{}", shown);
            if above != below {
                let named = moves::named(&above, &below);
                prop_assert!(named.is_some(), "{} has no name", shown);
                // Where one step can be seen as another, as with 0 = 0 + x, any fair name will do.
                let plain = now.0.a * now.1.a * now.0.b * now.1.b != 0;
                if plain && matches!(step, Legal::Add(_)) {
                    let named = named.unwrap_or_default();
                    prop_assert!(named.starts_with(name_of(step)), "{}: {}", shown, named);
                }
            }
            now = next;
        }
        let whole = compare(&equation(start.0, start.1), &equation(now.0, now.1), None);
        let is_same = matches!(whole, StepVerdict::Equivalent { .. });
        prop_assert!(is_same, "from end to end");
    }

    #[test]
    fn a_step_on_one_side_only_is_found(
        (a, b, c, d) in (-6i64..7, -9i64..10, -6i64..7, -9i64..10),
        before in prop::collection::vec(legal(), 0..3),
        n in 1i64..9,
        left in any::<bool>(),
    ) {
        prop_assume!(a != c);
        let start = (Side { a, b }, Side { a: c, b: d });
        let now = before.iter().fold(start, |now, step| done(*step, now));
        let more = |side: Side| Side { b: side.b + n, ..side };
        let wrong = if left { (more(now.0), now.1) } else { (now.0, more(now.1)) };
        let verdict = compare(&equation(start.0, start.1), &equation(wrong.0, wrong.1), None);
        prop_assert!(matches!(verdict, StepVerdict::NotEquivalent(_)));
    }

    #[test]
    fn coefficients_are_read_back((a, b) in (-9i64..10, -9i64..10)) {
        let found = linear_coefficients(&Side { a, b }.expr(), "x").expect("linear");
        prop_assert_eq!(found, (from_int(a), from_int(b)));
    }
}
