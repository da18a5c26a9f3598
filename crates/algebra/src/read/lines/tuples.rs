//! Points and vectors that are added, scaled and measured: `(2, 3) + (1, 4)`, `3(1, -2)`, `|(3, 4)|`.

use crate::expr::{Expr, ExprKind};

/// What an expression with tuples comes to.
pub(super) enum Folded {
    /// No tuple is left.
    One(Expr),
    /// One tuple.
    Several(Vec<Expr>),
}

/// Works out what is done to tuples, entry by entry; `None` where nothing such can be done to them.
pub(super) fn folded(expr: &Expr) -> Option<Folded> {
    use Folded::{One, Several};
    if !expr.any(&mut |part| is_tuple(part)) {
        return Some(One(expr.clone()));
    }
    match &expr.kind {
        ExprKind::Apply { name, arguments } if name.is_empty() => Some(Several(arguments.clone())),
        ExprKind::Add(a, b) | ExprKind::Subtract(a, b) => {
            let (Several(a), Several(b)) = (folded(a)?, folded(b)?) else { return None };
            let adds = matches!(expr.kind, ExprKind::Add(..));
            let each = a.into_iter().zip(b.iter().cloned());
            (b.len() == each.len()).then(|| {
                Several(each.map(|(x, y)| if adds { x.plus(y) } else { x.minus(y) }).collect())
            })
        }
        ExprKind::Negative(a) => match folded(a)? {
            Several(a) => Some(Several(a.into_iter().map(Expr::negative).collect())),
            One(_) => None,
        },
        ExprKind::Multiply(a, b) => match (folded(a)?, folded(b)?) {
            (One(factor), Several(each)) | (Several(each), One(factor)) => {
                Some(Several(each.into_iter().map(|x| factor.clone().times(x)).collect()))
            }
            // The scalar product.
            (Several(a), Several(b)) if a.len() == b.len() => {
                let mut terms = a.into_iter().zip(b).map(|(x, y)| x.times(y));
                let first = terms.next()?;
                Some(One(terms.fold(first, Expr::plus)))
            }
            _ => None,
        },
        ExprKind::Divide(a, b) => match (folded(a)?, folded(b)?) {
            (Several(each), One(by)) => {
                Some(Several(each.into_iter().map(|x| x.over(by.clone())).collect()))
            }
            _ => None,
        },
        ExprKind::Absolute(a) => match folded(a)? {
            Several(each) => {
                let mut squares = each.into_iter().map(|x| x.to_the(2));
                let first = squares.next()?;
                let radicand = Box::new(squares.fold(first, Expr::plus));
                Some(One(Expr::at(ExprKind::Root { index: 2, radicand }, expr.span)))
            }
            One(_) => None,
        },
        _ => None,
    }
}

fn is_tuple(expr: &Expr) -> bool {
    matches!(&expr.kind, ExprKind::Apply { name, .. } if name.is_empty())
}
