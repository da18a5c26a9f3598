//! Values in floating point for drawing, where a pixel is as near as anybody looks. Nothing here decides
//! anything.

use crate::approximate;
use crate::expr::Expr;
use crate::normal::Quotient;

/// The value of `expr` where `letter` is `x`; `None` where it has none, or another letter stands in it.
#[must_use]
pub fn value(expr: &Expr, letter: &str, x: f64) -> Option<f64> {
    Some(approximate::value_in(expr, letter, x)).filter(|y| y.is_finite())
}

/// Where a constant stands on the number line; `None` when it is too large to draw.
#[must_use]
pub fn place(constant: &Quotient) -> Option<f64> {
    Some(crate::equal::near(constant)).filter(|x| x.is_finite())
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn curves_have_gaps_where_there_is_no_value() {
        let read = |text: &str| crate::read_expr(text).expect(text);
        assert_eq!(value(&read("x^2 - 1"), "x", 3.0), Some(8.0));
        assert_eq!(value(&read("1/x"), "x", 0.0), None);
        assert_eq!(value(&read("sqrt(x)"), "x", -1.0), None);
        assert_eq!(value(&read("a x"), "x", 1.0), None);
    }
}
