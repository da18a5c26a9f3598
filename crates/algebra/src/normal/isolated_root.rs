//! Numbers that are known by a function that crosses zero there, and nowhere else between two bounds: the
//! solution of `cos x = x`.
//!
//! Whoever makes one has proved that the function is continuous and has no turn between the bounds, and that
//! its signs at them differ.

use super::{Atom, Kernel, KernelKind, Poly, Quotient};
use crate::approximate;
use crate::ball::Enclosure;
use crate::budget::Budget;
use crate::enclosed;
use crate::expr::Expr;
use crate::number::{Integer, Rational};
use num_integer::Integer as _;
use num_traits::{One, Signed, ToPrimitive};

/// The letter of the function.
pub const LETTER: &str = "x";
/// The bounds are neighbouring multiples of `2^-CELL`, so that a number is made in one way only.
pub const CELL: u32 = 16;

/// Bits after the point that floating point has right, but for the last, of numbers about one.
const TRUSTED: u32 = 46;
/// Cells further out than this are not looked for in floating point.
const FURTHEST: f64 = 1e12;

/// The number between `cell / 2^CELL` and the next such multiple at which `function`, in [`LETTER`], crosses
/// zero.
#[must_use]
pub fn constant(cell: &Integer, function: &Poly, rises: bool) -> Quotient {
    let lead = function.leading().abs().recip();
    let rising = function.scale(&if rises { lead } else { -lead });
    let place = |n: Integer| Quotient::constant(Rational::new(n, Integer::one() << CELL));
    let arguments = vec![place(cell.clone()), place(cell + 1), Quotient::whole(rising)];
    Quotient::whole(Poly::atom(Atom::kernel(KernelKind::IsolatedRoot, arguments)))
}

/// The function that rises through zero at such a number.
#[must_use]
pub fn function(kernel: &Kernel) -> Option<&Quotient> {
    if kernel.kind == KernelKind::IsolatedRoot { kernel.arguments.get(2) } else { None }
}

/// Where such a number lies, as a decimal of six places.
#[must_use]
pub fn near(kernel: &Kernel) -> Option<String> {
    let inside = enclosure(kernel, 40, &mut Budget::for_verdict())?;
    Some(crate::number::to_decimal_text(&inside.low(), 6))
}

/// An enclosure of such a number.
///
/// Floating point, and then a chord, say where the zero should be; the signs of the function on both sides
/// prove that it is there, and where they do not, the interval is halved. Each chord doubles the bits.
#[must_use]
pub fn enclosure(kernel: &Kernel, bits: u32, budget: &mut Budget) -> Option<Enclosure> {
    let shown = function(kernel)?.to_expr();
    let low = kernel.arguments.first()?.as_constant()?;
    let mut at = CELL;
    let mut a = (low.numer() << at).div_floor(low.denom());
    let mut b = &a + 1;
    if let Some(found) = in_floating_point(&shown, &a, bits + 6)
        && is_around(&shown, &found, budget)
    {
        (a, b, at) = found;
    }
    while at < bits + 4 {
        let next = (2 * at - 10).min(bits + 6);
        let by = next - at;
        let chord = chord(&shown, (&a, &b), (at, next), budget);
        let around = |s: Integer| ((&s - 2i32).max(&a << by), (&s + 2i32).min(&b << by), next);
        if let Some(tight) = chord.map(around)
            && is_around(&shown, &tight, budget)
        {
            (a, b, at) = tight;
            continue;
        }
        (a, b, at) = (a << 1, b << 1, at + 1);
        let middle: Integer = (&a + &b) >> 1;
        match sign(&shown, &middle, at, budget) {
            Some(-1) => a = middle,
            Some(1) => b = middle,
            // Too near to zero to be told apart: this is as close as it gets.
            _ => break,
        }
    }
    let value = |n: &Integer| Rational::new(n.clone(), Integer::one() << at);
    Some(Enclosure::between(&value(&a), &value(&b), bits))
}

/// Two places of which the function is negative at the first and positive at the second, in units of
/// `2^-at`.
type Bracket = (Integer, Integer, u32);

/// Where floating point has the zero that lies in a cell, with as many bits as it can be trusted with and at most
/// `most`; nothing is proved here.
fn in_floating_point(shown: &Expr, cell: &Integer, most: u32) -> Option<Bracket> {
    let cells = f64::from(1u32 << CELL);
    let start = cell.to_f64().filter(|start| start.abs() < FURTHEST)?;
    let value = |x: f64| approximate::value_in(shown, LETTER, x);
    let at =
        TRUSTED.saturating_sub(u32::try_from(cell.bits()).ok()?.saturating_sub(CELL)).min(most);
    let zero = approximate::crossing(value, (start / cells, (start + 1.0) / cells), 0.0);
    let near = Integer::from((zero * f64::powi(2.0, i32::try_from(at).ok()?)).round() as i64);
    let by = at.checked_sub(CELL)?;
    let (low, high) = (cell << by, (cell + 1) << by);
    Some(((&near - 2i32).max(low), (&near + 2i32).min(high), at))
}

/// Whether the function is negative at the first of two places and positive at the second.
fn is_around(shown: &Expr, (low, high, at): &Bracket, budget: &mut Budget) -> bool {
    sign(shown, low, *at, budget) == Some(-1) && sign(shown, high, *at, budget) == Some(1)
}

/// The function at `n / 2^at`, enclosed with `bits` bits.
fn value(
    shown: &Expr,
    (n, at): (&Integer, u32),
    bits: u32,
    budget: &mut Budget,
) -> Option<Enclosure> {
    let place = Enclosure::of(&Rational::new(n.clone(), Integer::one() << at), bits);
    enclosed::at_place(shown, LETTER, &place, budget)
}

/// The sign at `n / 2^at`, first with few bits more than the place has, then with twice as many.
fn sign(shown: &Expr, n: &Integer, at: u32, budget: &mut Budget) -> Option<i8> {
    [at + 18, 2 * at + 16]
        .into_iter()
        .find_map(|bits| value(shown, (n, at), bits, budget)?.sign().filter(|&sign| sign != 0))
}

/// Where the chord between two places crosses zero, in units of `2^-next`; nothing is proved here.
fn chord(
    shown: &Expr,
    (a, b): (&Integer, &Integer),
    (at, next): (u32, u32),
    budget: &mut Budget,
) -> Option<Integer> {
    let bits = next + 16;
    let mut end = |n| Some(value(shown, (n, at), bits, budget)?.low());
    let (left, right) = (end(a)?, end(b)?);
    let slope = &right - &left;
    if !slope.is_positive() {
        return None;
    }
    let part = -left / slope * Rational::from_integer((b - a) << (next - at));
    Some((a << (next - at)) + part.floor().to_integer())
}
