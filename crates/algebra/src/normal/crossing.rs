//! Numbers that are known by a function that crosses zero there, and nowhere else between two bounds: the
//! solution of `cos x = x`.
//!
//! Whoever makes one has proved that the function is continuous and has no turn between the bounds, and that
//! its signs at them differ.

use super::{Atom, Kernel, KernelKind, Poly, Quotient};
use crate::ball::Enclosure;
use crate::budget::Budget;
use crate::enclosed;
use crate::expr::Expr;
use crate::number::{Rational, Whole};
use num_integer::Integer;
use num_traits::{One, Signed};

/// The letter of the function.
pub const LETTER: &str = "x";
/// The bounds are neighbouring multiples of `2^-CELL`, so that a number is made in one way only.
pub const CELL: u32 = 16;

/// The number between `cell / 2^CELL` and the next such multiple at which `function`, in [`LETTER`], crosses
/// zero.
#[must_use]
pub fn constant(cell: &Whole, function: &Poly, rises: bool) -> Quotient {
    let lead = function.leading().abs().recip();
    let rising = function.scale(&if rises { lead } else { -lead });
    let place = |n: Whole| Quotient::constant(Rational::new(n, Whole::one() << CELL));
    let arguments = vec![place(cell.clone()), place(cell + 1), Quotient::whole(rising)];
    Quotient::whole(Poly::atom(Atom::kernel(KernelKind::Crossing, arguments)))
}

/// The function that rises through zero at such a number.
#[must_use]
pub fn function(kernel: &Kernel) -> Option<&Quotient> {
    if kernel.kind == KernelKind::Crossing { kernel.arguments.get(2) } else { None }
}

/// Where such a number lies, as a decimal of six places.
#[must_use]
pub fn near(kernel: &Kernel) -> Option<String> {
    let inside = enclosure(kernel, 40, &mut Budget::for_verdict())?;
    Some(crate::number::to_decimal_text(&inside.low(), 6))
}

/// An enclosure of such a number.
///
/// A chord says where the zero should be; the signs of the function on both sides prove that it is there,
/// and where they do not, the interval is halved. Each chord doubles the bits.
#[must_use]
pub fn enclosure(kernel: &Kernel, bits: u32, budget: &mut Budget) -> Option<Enclosure> {
    let shown = function(kernel)?.to_expr();
    let low = kernel.arguments.first()?.as_constant()?;
    let mut at = CELL;
    let mut a = (low.numer() << at).div_floor(low.denom());
    let mut b = &a + 1;
    while at < bits + 4 {
        let next = (2 * at - 10).min(bits + 6);
        let by = next - at;
        let chord = chord(&shown, (&a, &b), (at, next), budget);
        let around =
            |s: Whole| -> (Whole, Whole) { ((&s - 2i32).max(&a << by), (&s + 2i32).min(&b << by)) };
        let tight = chord.map(around);
        let tight = tight.filter(|(low, high)| {
            sign(&shown, low, next, budget) == Some(-1)
                && sign(&shown, high, next, budget) == Some(1)
        });
        if let Some(found) = tight {
            (a, b) = found;
            at = next;
            continue;
        }
        (a, b, at) = (a << 1, b << 1, at + 1);
        let middle: Whole = (&a + &b) >> 1;
        match sign(&shown, &middle, at, budget) {
            Some(-1) => a = middle,
            Some(1) => b = middle,
            // Too near to zero to be told apart: this is as close as it gets.
            _ => break,
        }
    }
    let value = |n: &Whole| Rational::new(n.clone(), Whole::one() << at);
    Some(Enclosure::between(&value(&a), &value(&b), bits))
}

/// The function at `n / 2^at`, enclosed with twice as many bits.
fn value(shown: &Expr, n: &Whole, at: u32, budget: &mut Budget) -> Option<Enclosure> {
    let place = Enclosure::of(&Rational::new(n.clone(), Whole::one() << at), 2 * at + 16);
    enclosed::at_place(shown, LETTER, &place, budget)
}

fn sign(shown: &Expr, n: &Whole, at: u32, budget: &mut Budget) -> Option<i8> {
    value(shown, n, at, budget)?.sign()
}

/// Where the chord between two places crosses zero, in units of `2^-next`; nothing is proved here.
fn chord(
    shown: &Expr,
    (a, b): (&Whole, &Whole),
    (at, next): (u32, u32),
    budget: &mut Budget,
) -> Option<Whole> {
    let (left, right) = (value(shown, a, at, budget)?.low(), value(shown, b, at, budget)?.low());
    let slope = &right - &left;
    if !slope.is_positive() {
        return None;
    }
    let part = -left / slope * Rational::from_integer((b - a) << (next - at));
    Some((a << (next - at)) + part.floor().to_integer())
}
