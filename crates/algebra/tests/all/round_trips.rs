//! What is written reads back as the same tree, and different trees are written, marked up and spoken
//! differently: over random trees of everything that can be typed.

use algebra::expr::Constant;
use algebra::line::Piece;
use algebra::write::{latex_line, mathml_line, speech_line, text_line};
use algebra::{
    Expr, ExprKind, Function, Line, Options, Relation, read_latex, read_line, read_line_with,
};
use proptest::prelude::*;

fn call(function: Function, arguments: Vec<Expr>) -> Expr {
    ExprKind::Call { function, arguments }.into()
}

fn kind(kind: ExprKind) -> Expr {
    kind.into()
}

/// Numbers of every notation, letters, constants.
fn leaf() -> impl Strategy<Value = Expr> {
    let typed = prop::sample::select(vec![
        "0",
        "1",
        "2",
        "7",
        "12",
        "305",
        "1200",
        "0.5",
        "2.50",
        "0.1(6)",
        "3 1/2",
        "3.2×10^5",
        "1011_2",
        "2F_16",
        "7_8",
    ]);
    let typed = typed.prop_map(|text| match read_line(text).expect(text).line {
        Line::Expression(expr) => expr,
        other => panic!("{text} is {other:?}"),
    });
    let letters = vec!["x", "y", "a", "b", "n", "θ", "x_1", "v_0"];
    prop_oneof![
        3 => typed,
        4 => prop::sample::select(letters).prop_map(Expr::symbol),
        1 => Just(kind(ExprKind::Constant(Constant::Pi))),
        1 => Just(kind(ExprKind::Constant(Constant::Euler))),
    ]
}

/// Functions of one argument.
fn functions() -> Vec<Function> {
    let several = [
        Function::Max,
        Function::Min,
        Function::Hcf,
        Function::Lcm,
        Function::Choose,
        Function::Arrange,
        Function::Mod,
        Function::Log,
    ];
    Function::ALL.iter().copied().filter(|f| !several.contains(f)).collect()
}

fn tree() -> impl Strategy<Value = Expr> {
    leaf().prop_recursive(4, 20, 3, |inner| {
        let pair = (inner.clone(), inner.clone());
        let boxed = |a: Expr| Box::new(a);
        prop_oneof![
            4 => pair.clone().prop_map(|(a, b)| a.plus(b)),
            4 => pair.clone().prop_map(|(a, b)| a.minus(b)),
            6 => pair.clone().prop_map(|(a, b)| a.times(b)),
            3 => pair.clone().prop_map(|(a, b)| a.over(b)),
            3 => pair.clone().prop_map(move |(a, b)| kind(ExprKind::Power(boxed(a), boxed(b)))),
            2 => inner.clone().prop_map(Expr::negative),
            2 => (inner.clone(), 2u32..6).prop_map(move |(a, index)| {
                kind(ExprKind::Root { index, radicand: boxed(a) })
            }),
            1 => inner.clone().prop_map(move |a| kind(ExprKind::Absolute(boxed(a)))),
            1 => inner.clone().prop_map(move |a| kind(ExprKind::Percent(boxed(a)))),
            1 => inner.clone().prop_map(move |a| kind(ExprKind::Factorial(boxed(a)))),
            1 => inner.clone().prop_map(move |a| kind(ExprKind::Degree(boxed(a)))),
            1 => (inner.clone(), any::<bool>()).prop_map(move |(a, opposite)| {
                kind(ExprKind::PlusMinus { opposite, value: boxed(a) })
            }),
            3 => (inner.clone(), prop::sample::select(functions()))
                .prop_map(|(a, function)| call(function, vec![a])),
            1 => pair.clone().prop_map(|(a, b)| call(Function::Log, vec![a, b])),
            1 => pair.clone().prop_map(|(a, b)| call(Function::Choose, vec![a, b])),
            1 => (pair, prop::sample::select(vec![Function::Max, Function::Hcf, Function::Lcm]))
                .prop_map(|((a, b), function)| call(function, vec![a, b])),
        ]
    })
}

fn relation() -> impl Strategy<Value = Relation> {
    prop::sample::select(vec![
        Relation::Equal,
        Relation::NotEqual,
        Relation::Less,
        Relation::LessOrEqual,
        Relation::Greater,
        Relation::GreaterOrEqual,
    ])
}

fn line() -> impl Strategy<Value = Line> {
    let end = || prop::option::of((tree(), any::<bool>()));
    let piece = (end(), end()).prop_map(|(low, high)| Piece { low, high });
    prop_oneof![
        6 => tree().prop_map(Line::Expression),
        4 => (tree(), relation(), tree()).prop_map(|(a, relation, b)| Line::Relations {
            sides: vec![a, b],
            relations: vec![relation],
        }),
        1 => prop::collection::vec(tree(), 2).prop_map(|values| Line::AnyOf(
            values.into_iter().map(|v| Line::equation(Expr::symbol("x"), v)).collect()
        )),
        1 => (tree(), tree()).prop_map(|(a, b)| Line::AllOf(vec![
            Line::equation(Expr::symbol("x"), a),
            Line::equation(Expr::symbol("y"), b),
        ])),
        1 => prop::collection::vec(piece, 1..3)
            .prop_filter("round brackets are a point", |pieces| {
                let is_point = |p: &Piece| {
                    p.brackets() == ('(', ')') && p.low.is_some() && p.high.is_some()
                };
                pieces.len() > 1 || !is_point(&pieces[0])
            })
            .prop_map(Line::Set),
        1 => prop::collection::vec(tree(), 2..4).prop_map(Line::Point),
        1 => tree().prop_map(|value| Line::Definition { letter: "u".into(), value }),
    ]
}

/// Whether Euler's number is the only letter of a line with a relation: typed alone, it is an unknown.
fn lonely_e(line: &Line) -> bool {
    let euler = |part: &Expr| part.kind == ExprKind::Constant(Constant::Euler);
    matches!(line, Line::Relations { .. })
        && line.symbols().is_empty()
        && line.expressions().iter().any(|side| side.any(&mut |part| euler(part)))
}

proptest! {
    #![proptest_config(crate::cases(3_000))]

    #[test]
    fn what_is_written_plainly_reads_back(line in line()) {
        prop_assume!(!lonely_e(&line));
        let written = text_line(&line);
        let read = read_line(&written).map(|reading| reading.line);
        prop_assert_eq!(read.as_ref(), Ok(&line), "{}", written);
    }

    #[test]
    fn what_is_typeset_reads_back(line in line()) {
        prop_assume!(!lonely_e(&line));
        let written = latex_line(&line);
        let read = read_latex(&written).map(|reading| reading.line);
        prop_assert_eq!(read.as_ref(), Ok(&line), "{}", written);
    }

    #[test]
    fn different_lines_sound_and_look_different(a in line(), b in line()) {
        if a != b {
            prop_assert_ne!(speech_line(&a), speech_line(&b));
            prop_assert_ne!(mathml_line(&a, true), mathml_line(&b, true));
        }
    }

    #[test]
    fn a_small_change_can_be_heard_and_seen(expr in tree(), at in 0usize..12, how in 0u8..6) {
        let changed = changed(&expr, at, how);
        if changed != expr {
            let (a, b) = (Line::Expression(expr), Line::Expression(changed));
            prop_assert_ne!(speech_line(&a), speech_line(&b));
            prop_assert_ne!(mathml_line(&a, false), mathml_line(&b, false));
        }
    }
}

/// The tree with its `at`-th part (in the order of a walk) associated, nested or swapped differently: what most
/// easily sounds alike.
fn changed(expr: &Expr, at: usize, how: u8) -> Expr {
    let mut count = 0;
    expr.map(&mut |part| {
        count += 1;
        if count != at + 1 {
            return part;
        }
        let other = part.clone();
        match (part.kind, how) {
            (ExprKind::Add(a, b), 0) => match a.kind {
                ExprKind::Add(c, d) => c.plus(d.plus(*b)),
                kind => Expr::from(kind).minus(*b),
            },
            (ExprKind::Multiply(a, b), 0..=1) => match a.kind {
                ExprKind::Multiply(c, d) => c.times(d.times(*b)),
                kind => b.times(kind.into()),
            },
            (ExprKind::Divide(a, b), 0..=2) => match a.kind {
                ExprKind::Add(c, d) => c.plus(d.over(*b)),
                ExprKind::Divide(c, d) => c.over(d.over(*b)),
                ExprKind::Multiply(c, d) => c.times(d.over(*b)),
                kind => b.over(kind.into()),
            },
            (ExprKind::Power(a, b), 0..=3) => match (a.kind, b.kind) {
                (ExprKind::Power(c, d), b) => {
                    let above = kind(ExprKind::Power(d, Box::new(b.into())));
                    kind(ExprKind::Power(c, Box::new(above)))
                }
                (ExprKind::Negative(c), b) => {
                    kind(ExprKind::Power(c, Box::new(b.into()))).negative()
                }
                (a, ExprKind::Add(c, d)) => kind(ExprKind::Power(Box::new(a.into()), c)).plus(*d),
                (a, b) => kind(ExprKind::Power(Box::new(b.into()), Box::new(a.into()))),
            },
            (ExprKind::Root { index, radicand }, 0..=3) => match radicand.kind {
                ExprKind::Add(a, b) => kind(ExprKind::Root { index, radicand: a }).plus(*b),
                ExprKind::Multiply(a, b) => kind(ExprKind::Root { index, radicand: a }).times(*b),
                _ => kind(ExprKind::Root { index: index + 1, radicand }),
            },
            (ExprKind::Call { function, mut arguments }, 0..=4) => {
                let last = arguments.pop().expect("a call has an argument");
                match (last.kind, arguments.is_empty()) {
                    (ExprKind::Add(a, b), true) => call(function, vec![*a]).plus(*b),
                    (ExprKind::Multiply(a, b), true) => call(function, vec![*a]).times(*b),
                    (ExprKind::Power(a, b), true) => {
                        kind(ExprKind::Power(Box::new(call(function, vec![*a])), b))
                    }
                    _ => other,
                }
            }
            _ => other.negative(),
        }
    })
}

#[test]
fn quantities_read_back() {
    let options = Options { quantities: true, ..Options::default() };
    for typed in [
        "80 mm",
        "0.05 m",
        "12 cm²",
        "2 h 15 min",
        "$3.50",
        "35 ¢",
        "90 km/h",
        "25°",
        "5 kg × 3",
        "9.8 m/s²",
        "3 × 4 cm",
        "12 cm × 5 cm",
        "20 °C",
        "1.5 L + 200 mL",
        "x cm",
        "2x cm",
    ] {
        let line = read_line_with(typed, options).expect(typed).line;
        let plain = text_line(&line);
        let again = read_line_with(&plain, options).map(|reading| reading.line);
        assert_eq!(again.as_ref(), Ok(&line), "{typed} as {plain}");
        let typeset = latex_line(&line);
        let options = Options { latex: true, ..options };
        let again = read_line_with(&typeset, options).map(|reading| reading.line);
        assert_eq!(again.as_ref(), Ok(&line), "{typed} as {typeset}");
    }
}

#[test]
fn markup_is_as_the_standard_has_it() {
    let marked = |text: &str| {
        let line = read_line(text).expect(text).line;
        let all = mathml_line(&line, false);
        let inside = all.strip_prefix("<math xmlns=\"http://www.w3.org/1998/Math/MathML\">");
        inside.and_then(|s| s.strip_suffix("</math>")).expect("one element").to_owned()
    };
    assert_eq!(
        marked("x^2/3 = y_1"),
        "<mfrac><msup><mi>x</mi><mn>2</mn></msup><mn>3</mn></mfrac><mo>=</mo>\
         <msub><mi>y</mi><mn>1</mn></msub>"
    );
    assert_eq!(
        marked("2x < 1"),
        "<mrow><mn>2</mn><mo>\u{2062}</mo><mi>x</mi></mrow><mo>&lt;</mo><mn>1</mn>"
    );
    assert_eq!(marked("∛8"), "<mroot><mn>8</mn><mn>3</mn></mroot>");
    assert_eq!(marked("no solution"), "<mtext>no solution</mtext>");
}
