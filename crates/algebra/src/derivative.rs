//! The derivative of an expression by its rules (L. Euler, *Institutiones calculi differentialis*, 1755).

use crate::expr::{Constant, Expr, ExprKind, Function};

/// The derivative for one letter, not simplified; `None` for what has none here, such as a factorial.
pub(crate) fn derivative(expr: &Expr, letter: &str) -> Option<Expr> {
    if !expr.symbols().contains(letter) {
        return Some(Expr::int(0));
    }
    let of = |part: &Expr| derivative(part, letter);
    let power = |base: &Expr, n: u32| base.clone().to_the(n);
    Some(match &expr.kind {
        ExprKind::Symbol(_) => Expr::int(1),
        ExprKind::Negative(a) => of(a)?.negative(),
        ExprKind::Add(a, b) => of(a)?.plus(of(b)?),
        ExprKind::Subtract(a, b) => of(a)?.minus(of(b)?),
        ExprKind::Multiply(a, b) => of(a)?.times((**b).clone()).plus((**a).clone().times(of(b)?)),
        ExprKind::Divide(a, b) => {
            let above = of(a)?.times((**b).clone()).minus((**a).clone().times(of(b)?));
            above.over(power(b, 2))
        }
        ExprKind::Power(base, exponent) if !exponent.symbols().contains(letter) => {
            let less = (**exponent).clone().minus(Expr::int(1));
            let rest: Expr = ExprKind::Power(base.clone(), Box::new(less)).into();
            (**exponent).clone().times(rest).times(of(base)?)
        }
        ExprKind::Power(base, exponent) => {
            // (u^v)' = u^v (v' ln u + v u'/u)
            let logarithm = call(Function::Ln, base);
            let first = of(exponent)?.times(logarithm);
            let second = (**exponent).clone().times(of(base)?).over((**base).clone());
            expr.clone().times(first.plus(second))
        }
        ExprKind::Root { index, radicand } => {
            let below = Expr::int(i64::from(*index)).times(power(expr, index - 1));
            of(radicand)?.over(below)
        }
        ExprKind::Absolute(a) => of(a)?.times((**a).clone()).over(expr.clone()),
        ExprKind::Percent(a) => of(a)?.over(Expr::int(100)),
        ExprKind::Degree(a) => {
            let pi: Expr = ExprKind::Constant(Constant::Pi).into();
            of(a)?.times(pi).over(Expr::int(180))
        }
        ExprKind::Call { function, arguments } => match &arguments[..] {
            [inside] => outer(*function, inside, expr)?.times(of(inside)?),
            [inside, base] if *function == Function::Log && !base.symbols().contains(letter) => {
                of(inside)?.over(inside.clone().times(call(Function::Ln, base)))
            }
            _ => return None,
        },
        _ => return None,
    })
}

fn call(function: Function, argument: &Expr) -> Expr {
    ExprKind::Call { function, arguments: vec![argument.clone()] }.into()
}

/// The derivative of a function at `u`, where its value is `itself`.
fn outer(function: Function, u: &Expr, itself: &Expr) -> Option<Expr> {
    let one = || Expr::int(1);
    let root =
        |inside: Expr| -> Expr { ExprKind::Root { index: 2, radicand: Box::new(inside) }.into() };
    let square = || u.clone().to_the(2);
    let size = || -> Expr { ExprKind::Absolute(Box::new(u.clone())).into() };
    Some(match function {
        Function::Sin => call(Function::Cos, u),
        Function::Cos => call(Function::Sin, u).negative(),
        Function::Tan => one().plus(itself.clone().to_the(2)),
        Function::Cot => one().plus(itself.clone().to_the(2)).negative(),
        Function::Sec => itself.clone().times(call(Function::Tan, u)),
        Function::Csc => itself.clone().times(call(Function::Cot, u)).negative(),
        Function::Arcsin => one().over(root(one().minus(square()))),
        Function::Arccos => one().over(root(one().minus(square()))).negative(),
        Function::Arctan => one().over(one().plus(square())),
        Function::Arccot => one().over(one().plus(square())).negative(),
        Function::Arcsec => one().over(size().times(root(square().minus(one())))),
        Function::Arccsc => one().over(size().times(root(square().minus(one())))).negative(),
        Function::Ln => one().over(u.clone()),
        Function::Log => {
            let ten: Expr = call(Function::Ln, &Expr::int(10));
            one().over(u.clone().times(ten))
        }
        _ => return None,
    })
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::{Verdict, equal, read_expr};

    #[test]
    #[rustfmt::skip]
    fn derivatives_are_those_of_the_tables() {
        for (of, expected) in [
            ("x^3 - 2x",   "3x^2 - 2"),          ("1/x",       "-1/x^2"),
            ("sqrt(x)",    "1/(2 sqrt x)"),      ("cbrt(x)",   "1/(3 cbrt(x^2))"),
            ("sin(2x)",    "2 cos(2x)"),         ("x e^x",     "(x+1) e^x"),
            ("ln(x^2+1)",  "2x/(x^2+1)"),        ("log x",     "1/(x ln 10)"),
            ("tan x",      "1/cos^2 x"),         ("sec x",     "sin x/cos^2 x"),
            ("arcsin x",   "1/sqrt(1-x^2)"),     ("arctan x",  "1/(1+x^2)"),
            ("2^x",        "2^x ln 2"),          ("x^x",       "x^x (ln x + 1)"),
            ("|x|",        "x/|x|"),             ("a x^2",     "2 a x"),
        ] {
            let read = |text: &str| read_expr(text).expect(text);
            let found = derivative(&read(of), "x").expect(of);
            let verdict = equal(&found, &read(expected));
            assert!(matches!(verdict, Verdict::Equal { .. }), "{of}: {found:?}");
        }
        assert_eq!(derivative(&read_expr("x!").expect("read"), "x"), None);
    }
}
