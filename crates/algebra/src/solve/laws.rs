//! The laws by which an expression is simplified on a board, one a line: each turns a part of it into what a
//! class would write next, and has a name that says why.
//!
//! Nothing is proved here. Whoever shows a line proves it equal to the one above first.

use super::over_one::over_one_denominator;
use crate::expr::{Constant, Expr, ExprKind, Function};
use crate::number::{Notation, Rational, Whole, from_int};
use num_traits::{One, Signed, ToPrimitive, Zero};

/// A law of expressions.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub enum Law {
    /// `a/b ÷ c/d = a/b × d/c`
    DivideByFraction,
    /// `a/b × c/d = ac/bd`
    MultiplyFractions,
    /// A sum of fractions inside another is written as one fraction.
    OneFraction,
    /// `(ab)ⁿ = aⁿbⁿ`
    PowerOfProduct,
    /// `(aᵐ)ⁿ = aᵐⁿ`
    PowerOfPower,
    /// `aᵐaⁿ = aᵐ⁺ⁿ`
    AddExponents,
    /// `a⁻ⁿ = 1/aⁿ`
    NegativeExponent,
    /// `√(a²) = |a|`
    RootOfSquare,
    /// `sin² a + cos² a = 1`
    Pythagoras,
    /// The tangent and its like are quotients of sines and cosines.
    SinesAndCosines,
    /// `sin 2a = 2 sin a cos a`
    DoubleAngle,
    /// `cos 2a = 2 cos² a - 1 = 1 - 2 sin² a`
    DoubleAngleOfCosine,
    /// `log a + log b = log ab`
    SumOfLogarithms,
    /// `log a - log b = log(a/b)`
    DifferenceOfLogarithms,
    /// `log aⁿ = n log a`
    LogarithmOfPower,
    /// `n log a = log aⁿ`
    PowerIntoLogarithm,
    /// A factorial is the product of the whole numbers up to it.
    Factorial,
    /// `n!/k!` leaves the numbers between.
    FactorialQuotient,
    /// `C(n, k) = n!/(k!(n - k)!)`
    Choices,
    /// Per cent: of a hundred.
    PerCent,
    /// The digits of a numeral, each times its place.
    PlaceValues,
    /// A mixed number as one fraction.
    Improper,
    /// `a^(m/n)` is the `n`-th root of `a`, to the power `m`.
    RootThenPower,
    /// A power of a base and the logarithm to that base undo each other.
    Undo,
    /// `cos(π/2 - a) = sin a`
    CoFunction,
    /// `a sin u + b cos u` is one sine that is shifted.
    OneWave,
    /// The terms of a ratio, divided by what they share.
    SharedFactor,
    /// A recurring decimal: its digits, less those before the repeat, over nines and zeros.
    Recurring,
}

/// Most lines that laws write.
const LINES: usize = 8;

type Change = fn(&Expr) -> Option<Expr>;

/// In this order; the first that fits is used.
const LAWS: &[(Law, Change)] = &[
    (Law::OneFraction, one_fraction),
    (Law::DivideByFraction, divide_by_fraction),
    (Law::MultiplyFractions, multiply_fractions),
    (Law::PowerOfProduct, power_of_product),
    (Law::PowerOfPower, power_of_power),
    (Law::AddExponents, add_exponents),
    (Law::NegativeExponent, negative_exponent),
    (Law::RootOfSquare, root_of_square),
    (Law::Undo, undo),
    (Law::CoFunction, co_function),
    (Law::Pythagoras, pythagoras),
    (Law::SinesAndCosines, sines_and_cosines),
    (Law::PowerIntoLogarithm, power_into_logarithm),
    (Law::SumOfLogarithms, sum_of_logarithms),
    (Law::DifferenceOfLogarithms, difference_of_logarithms),
];

/// The laws of numbers alone.
const NUMBER_LAWS: &[(Law, Change)] = &[
    (Law::DivideByFraction, divide_by_fraction),
    (Law::FactorialQuotient, factorial_quotient),
    (Law::Choices, choices),
    (Law::Factorial, factorial),
    (Law::PerCent, per_cent),
    (Law::PlaceValues, place_values),
    (Law::Recurring, recurring),
    (Law::Improper, improper),
    (Law::NegativeExponent, negative_exponent_of_number),
    (Law::RootThenPower, root_then_power),
    (Law::Undo, undo),
    (Law::SumOfLogarithms, sum_of_logarithms),
    (Law::DifferenceOfLogarithms, difference_of_logarithms),
];

/// The lines that laws write below an expression with letters.
#[must_use]
pub fn by_laws(expr: &Expr) -> Vec<(Expr, Law)> {
    // A logarithm that stands alone lets its exponent out; in a sum the factors go in.
    if let Some(line) = logarithm_of_power(expr) {
        return vec![(line, Law::LogarithmOfPower)];
    }
    lines(expr, LAWS)
}

/// The lines that laws of numbers write below an expression without letters.
#[must_use]
pub fn by_laws_of_numbers(expr: &Expr) -> Vec<(Expr, Law)> {
    let mut found = lines(expr, NUMBER_LAWS);
    let now = found.last().map_or(expr, |(line, _)| line);
    if let Some(line) = logarithm_of_power(now) {
        found.push((line, Law::LogarithmOfPower));
    }
    found
}

fn lines(expr: &Expr, laws: &[(Law, Change)]) -> Vec<(Expr, Law)> {
    let mut found: Vec<(Expr, Law)> = Vec::new();
    let mut now = expr.clone();
    while found.len() < LINES {
        let next = laws.iter().find_map(|(law, change)| Some((changed(&now, *change)?, *law)));
        let Some((next, law)) = next.filter(|(next, _)| *next != now) else { break };
        found.push((next.clone(), law));
        now = next;
    }
    found
}

/// Applies a change to the outermost parts that it fits, all at once; `None` when it fits none.
fn changed(expr: &Expr, change: Change) -> Option<Expr> {
    let mut any = false;
    let found = rewritten(expr, change, &mut any);
    any.then_some(found)
}

fn rewritten(expr: &Expr, change: Change, any: &mut bool) -> Expr {
    if let Some(found) = change(expr) {
        *any = true;
        return found;
    }
    expr.with_parts(&mut |part| rewritten(part, change, any))
}

fn power(base: Expr, exponent: &Rational) -> Expr {
    if exponent.is_one() {
        return base;
    }
    ExprKind::Power(Box::new(base), Box::new(Expr::rational(exponent))).into()
}

fn whole_number(expr: &Expr) -> Option<i64> {
    expr.as_plain_number().filter(|n| n.is_integer())?.to_i64()
}

fn whole(n: i64) -> Expr {
    Expr::rational(&from_int(n))
}

/// What stands above and below, for a fraction.
fn fraction(expr: &Expr) -> Option<(&Expr, &Expr)> {
    match &expr.kind {
        ExprKind::Divide(above, below) => Some((above, below)),
        _ => None,
    }
}

fn divide_by_fraction(part: &Expr) -> Option<Expr> {
    let (first, below) = fraction(part)?;
    let (c, d) = fraction(below)?;
    let reciprocal = if is_one(c) { d.clone() } else { d.clone().over(c.clone()) };
    Some(if is_one(first) { reciprocal } else { first.clone().times(reciprocal) })
}

/// Two fractions, or a fraction and something else, that are multiplied; not numbers alone.
fn multiply_fractions(part: &Expr) -> Option<Expr> {
    let ExprKind::Multiply(a, b) = &part.kind else { return None };
    if part.symbols().is_empty() {
        return None;
    }
    let join = |a: &Expr, b: &Expr| match (is_one(a), is_one(b)) {
        (true, _) => b.clone(),
        (_, true) => a.clone(),
        _ => a.clone().times(b.clone()),
    };
    // Before a letter a fraction of numbers stays where it is.
    let moves = |below: &Expr| !below.symbols().is_empty();
    match (fraction(a), fraction(b)) {
        (Some((up, down)), Some((above, below))) => Some(join(up, above).over(join(down, below))),
        (None, Some((above, below))) if moves(below) => Some(join(a, above).over(below.clone())),
        (Some((up, down)), None) if moves(down) => Some(join(up, b).over(down.clone())),
        _ => None,
    }
}

fn is_one(expr: &Expr) -> bool {
    expr.as_plain_number().is_some_and(|n| n.is_one())
}

/// `1/(1 + 1/x)` as `1/((x + 1)/x)`: the fractions of a sum that is itself above or below.
fn one_fraction(part: &Expr) -> Option<Expr> {
    let (above, below) = fraction(part)?;
    let one = |side: &Expr| over_one_denominator(side).pop().map(|(line, _)| line);
    match (one(above), one(below)) {
        (None, None) => None,
        (a, b) => Some(a.unwrap_or_else(|| above.clone()).over(b.unwrap_or_else(|| below.clone()))),
    }
}

fn power_of_product(part: &Expr) -> Option<Expr> {
    let ExprKind::Power(base, exponent) = &part.kind else { return None };
    let n = whole_number(exponent)?;
    let raised = |e: &Expr| match (&e.kind, whole_number(e)) {
        (ExprKind::Power(inner, m), _) if whole_number(m).is_some() => {
            let exponent = whole_number(m)?.checked_mul(n)?;
            Some(power((**inner).clone(), &from_int(exponent)))
        }
        (_, Some(number)) if n > 0 && n <= 12 => {
            let value = num_traits::checked_pow(number, usize::try_from(n).ok()?)?;
            Some(whole(value))
        }
        _ => Some(power(e.clone(), &from_int(n))),
    };
    match &base.kind {
        ExprKind::Multiply(..) => {
            let raised: Option<Vec<Expr>> = factors(base).iter().map(raised).collect();
            raised?.into_iter().reduce(Expr::times)
        }
        ExprKind::Divide(a, b) if !part.symbols().is_empty() => Some(raised(a)?.over(raised(b)?)),
        _ => None,
    }
}

fn power_of_power(part: &Expr) -> Option<Expr> {
    let ExprKind::Power(base, n) = &part.kind else { return None };
    let ExprKind::Power(inner, m) = &base.kind else { return None };
    let (m, n) = (m.as_plain_number()?, n.as_plain_number()?);
    // (x²)^(1/2) is |x|: only whole exponents just multiply.
    (m.is_integer() && n.is_integer()).then(|| power((**inner).clone(), &(m * n)))
}

fn factors(expr: &Expr) -> Vec<Expr> {
    match &expr.kind {
        ExprKind::Multiply(a, b) => [factors(a), factors(b)].concat(),
        _ => vec![expr.clone()],
    }
}

/// A factor as a base with an exponent; plain numbers are no base.
fn base_of(factor: &Expr) -> Option<(Expr, Rational)> {
    match &factor.kind {
        ExprKind::Power(base, exponent) => Some(((**base).clone(), exponent.as_plain_number()?)),
        ExprKind::Symbol(_) => Some((factor.clone(), Rational::one())),
        _ => None,
    }
}

fn add_exponents(part: &Expr) -> Option<Expr> {
    let ExprKind::Multiply(..) = &part.kind else { return None };
    let mut kept: Vec<(Expr, Option<Rational>)> = Vec::new();
    let mut any = false;
    for factor in factors(part) {
        let Some((base, exponent)) = base_of(&factor) else {
            kept.push((factor, None));
            continue;
        };
        match kept.iter_mut().find(|(known, e)| e.is_some() && *known == base) {
            Some((_, Some(sum))) => {
                *sum += exponent;
                any = true;
            }
            _ => kept.push((base, Some(exponent))),
        }
    }
    let written = kept.into_iter().filter_map(|(base, exponent)| match exponent {
        None => Some(base),
        Some(sum) if sum.is_zero() => None,
        Some(sum) => Some(power(base, &sum)),
    });
    let product = written.reduce(Expr::times).unwrap_or_else(|| whole(1));
    any.then_some(product)
}

fn negative_exponent(part: &Expr) -> Option<Expr> {
    let down = |factor: &Expr| {
        let (base, exponent) = base_of(factor)?;
        exponent.is_negative().then(|| power(base, &-exponent))
    };
    match &part.kind {
        ExprKind::Power(..) => Some(whole(1).over(down(part)?)),
        ExprKind::Multiply(..) => moved(&factors(part), &[], down),
        ExprKind::Divide(a, b) => moved(&factors(a), &factors(b), down),
        _ => None,
    }
}

/// A fraction whose factors with negative exponents go to the other side of the line.
fn moved(above: &[Expr], below: &[Expr], down: impl Fn(&Expr) -> Option<Expr>) -> Option<Expr> {
    let (mut up, mut under) = (Vec::new(), Vec::new());
    let mut any = false;
    for (side, is_above) in [(above, true), (below, false)] {
        for factor in side {
            let turned = down(factor);
            any |= turned.is_some();
            let goes_up = is_above != turned.is_some();
            let kept = turned.unwrap_or_else(|| factor.clone());
            if goes_up { up.push(kept) } else { under.push(kept) }
        }
    }
    let product = |all: Vec<Expr>| {
        all.into_iter().filter(|e| !is_one(e)).reduce(Expr::times).unwrap_or_else(|| whole(1))
    };
    any.then(|| if under.is_empty() { product(up) } else { product(up).over(product(under)) })
}

fn root_of_square(part: &Expr) -> Option<Expr> {
    let ExprKind::Root { index, radicand } = &part.kind else { return None };
    let ExprKind::Power(base, exponent) = &radicand.kind else { return None };
    let n = whole_number(exponent)?;
    if n != i64::from(*index) || base.symbols().is_empty() {
        return None;
    }
    let base = (**base).clone();
    Some(if index % 2 == 0 { ExprKind::Absolute(Box::new(base)).into() } else { base })
}

/// The argument of `sin² a`, or of `cos² a`.
fn squared(function: Function, expr: &Expr) -> Option<&Expr> {
    let ExprKind::Power(base, exponent) = &expr.kind else { return None };
    match &base.kind {
        ExprKind::Call { function: found, arguments }
            if *found == function && whole_number(exponent) == Some(2) =>
        {
            arguments.first()
        }
        _ => None,
    }
}

fn pythagoras(part: &Expr) -> Option<Expr> {
    use Function::{Cos, Sin};
    let other = |function| if function == Sin { Cos } else { Sin };
    match &part.kind {
        ExprKind::Add(a, b) => [Sin, Cos].into_iter().find_map(|function| {
            let (first, second) = (squared(function, a)?, squared(other(function), b)?);
            (first == second).then(|| whole(1))
        }),
        ExprKind::Subtract(a, b) if is_one(a) => [Sin, Cos].into_iter().find_map(|function| {
            let angle = squared(function, b)?.clone();
            let call = ExprKind::Call { function: other(function), arguments: vec![angle] };
            Some(Expr::from(call).to_the(2))
        }),
        _ => None,
    }
}

fn sines_and_cosines(part: &Expr) -> Option<Expr> {
    let ExprKind::Call { function, arguments } = &part.kind else { return None };
    let call =
        |function| -> Expr { ExprKind::Call { function, arguments: arguments.clone() }.into() };
    if part.symbols().is_empty() {
        return None;
    }
    Some(match function {
        Function::Tan => call(Function::Sin).over(call(Function::Cos)),
        Function::Cot => call(Function::Cos).over(call(Function::Sin)),
        Function::Sec => whole(1).over(call(Function::Cos)),
        Function::Csc => whole(1).over(call(Function::Sin)),
        _ => return None,
    })
}

/// `sin 2a` as `2 sin a cos a`, everywhere.
#[must_use]
pub fn double_angles(expr: &Expr) -> Option<Expr> {
    changed(expr, |part| {
        let ExprKind::Call { function: Function::Sin, arguments } = &part.kind else { return None };
        let ExprKind::Multiply(two, angle) = &arguments.first()?.kind else { return None };
        if whole_number(two) != Some(2) || part.symbols().is_empty() {
            return None;
        }
        let call = |function| -> Expr {
            ExprKind::Call { function, arguments: vec![(**angle).clone()] }.into()
        };
        Some(whole(2).times(call(Function::Sin)).times(call(Function::Cos)))
    })
}

/// The base of a logarithm, `None` inside for the one that is not written, and what it is of.
fn logarithm(expr: &Expr) -> Option<(Function, Option<&Expr>, &Expr)> {
    match &expr.kind {
        ExprKind::Call { function, arguments }
            if matches!(function, Function::Ln | Function::Log) =>
        {
            Some((*function, arguments.get(1), arguments.first()?))
        }
        _ => None,
    }
}

fn joined_logarithms(a: &Expr, b: &Expr, join: fn(Expr, Expr) -> Expr) -> Option<Expr> {
    let ((function, base, first), (other, other_base, second)) = (logarithm(a)?, logarithm(b)?);
    if function != other || base != other_base {
        return None;
    }
    let mut arguments = vec![join(first.clone(), second.clone())];
    arguments.extend(base.cloned());
    Some(ExprKind::Call { function, arguments }.into())
}

fn sum_of_logarithms(part: &Expr) -> Option<Expr> {
    let ExprKind::Add(a, b) = &part.kind else { return None };
    joined_logarithms(a, b, Expr::times)
}

fn difference_of_logarithms(part: &Expr) -> Option<Expr> {
    let ExprKind::Subtract(a, b) = &part.kind else { return None };
    joined_logarithms(a, b, Expr::over)
}

/// `2 log a + log b` as `log a² + log b`.
fn power_into_logarithm(part: &Expr) -> Option<Expr> {
    let inside = |side: &Expr| {
        let ExprKind::Multiply(n, call) = &side.kind else { return None };
        let (n, (function, base, of)) = (n.as_plain_number()?, logarithm(call)?);
        let arguments = [power(of.clone(), &n)].into_iter().chain(base.cloned()).collect();
        Some(Expr::from(ExprKind::Call { function, arguments }))
    };
    let (a, b, join): (_, _, fn(Expr, Expr) -> Expr) = match &part.kind {
        ExprKind::Add(a, b) => (a, b, Expr::plus),
        ExprKind::Subtract(a, b) => (a, b, Expr::minus),
        _ => return None,
    };
    let is_logarithm = |side: &Expr| logarithm(side).is_some();
    match (inside(a), inside(b)) {
        (Some(a), Some(b)) => Some(join(a, b)),
        (Some(a), None) if is_logarithm(b) => Some(join(a, (**b).clone())),
        (None, Some(b)) if is_logarithm(a) => Some(join((**a).clone(), b)),
        _ => None,
    }
}

/// `ln e²` as `2 ln e`; of a number that is a power of the base too: `log 1000` as `3 log 10`.
fn logarithm_of_power(part: &Expr) -> Option<Expr> {
    let (function, base, of) = logarithm(part)?;
    let again = |inside: Expr| -> Expr {
        let arguments = [inside].into_iter().chain(base.cloned()).collect();
        ExprKind::Call { function, arguments }.into()
    };
    if let ExprKind::Power(inner, exponent) = &of.kind {
        return Some((**exponent).clone().times(again((**inner).clone())));
    }
    if function != Function::Log {
        return None;
    }
    let base = base.map_or(Some(10), whole_number).filter(|&base| base > 1)?;
    let value = whole_number(of)?;
    let exponent = (2..64).find(|&n| num_traits::checked_pow(base, n) == Some(value))?;
    Some(whole(exponent as i64).times(again(whole(base))))
}

/// `e^(ln a)`, `2^(log_2 a)`.
fn undo(part: &Expr) -> Option<Expr> {
    let ExprKind::Power(base, exponent) = &part.kind else { return None };
    let (function, log_base, of) = logarithm(exponent)?;
    let is_same = match (function, log_base) {
        (Function::Ln, _) => matches!(base.kind, ExprKind::Constant(Constant::Euler)),
        (_, Some(known)) => **base == *known,
        (_, None) => whole_number(base) == Some(10),
    };
    is_same.then(|| of.clone())
}

/// `sin(90° - a)`, `cos(π/2 - a)`.
fn co_function(part: &Expr) -> Option<Expr> {
    let ExprKind::Call { function, arguments } = &part.kind else { return None };
    let other = match function {
        Function::Sin => Function::Cos,
        Function::Cos => Function::Sin,
        Function::Tan => Function::Cot,
        Function::Cot => Function::Tan,
        _ => return None,
    };
    let ExprKind::Subtract(quarter, angle) = &arguments.first()?.kind else { return None };
    let is_quarter = match &quarter.kind {
        ExprKind::Degree(n) => whole_number(n) == Some(90),
        ExprKind::Divide(pi, two) => {
            matches!(pi.kind, ExprKind::Constant(Constant::Pi)) && whole_number(two) == Some(2)
        }
        _ => false,
    };
    let call = ExprKind::Call { function: other, arguments: vec![(**angle).clone()] };
    is_quarter.then(|| call.into())
}

/// The largest whole number whose factorial is written out.
const WRITTEN_OUT: i64 = 8;

fn factorial(part: &Expr) -> Option<Expr> {
    let ExprKind::Factorial(n) = &part.kind else { return None };
    let n = whole_number(n).filter(|n| (2..=WRITTEN_OUT).contains(n))?;
    (1..=n).rev().map(whole).reduce(Expr::times)
}

/// `8!/5!` as `8 × 7 × 6`.
fn factorial_quotient(part: &Expr) -> Option<Expr> {
    let (above, below) = fraction(part)?;
    let ExprKind::Factorial(n) = &above.kind else { return None };
    let n = whole_number(n)?;
    let mut under = factors(below);
    let largest = |e: &Expr| match &e.kind {
        ExprKind::Factorial(k) => whole_number(k),
        _ => None,
    };
    let at = (0..under.len()).max_by_key(|&at| largest(&under[at]).unwrap_or(-1))?;
    let k = largest(&under[at]).filter(|&k| k >= 0 && k < n && n - k <= WRITTEN_OUT)?;
    let up = (k + 1..=n).rev().map(whole).reduce(Expr::times)?;
    under.remove(at);
    Some(match under.into_iter().reduce(Expr::times) {
        Some(rest) => up.over(rest),
        None => up,
    })
}

fn choices(part: &Expr) -> Option<Expr> {
    let ExprKind::Call { function: Function::Choose, arguments } = &part.kind else { return None };
    let [n, k] = &arguments[..] else { return None };
    let (n, k) = (whole_number(n)?, whole_number(k)?);
    let fits = k >= 0 && k <= n;
    let of = |n: i64| -> Expr { ExprKind::Factorial(Box::new(whole(n))).into() };
    fits.then(|| of(n).over(of(k).times(of(n - k))))
}

fn per_cent(part: &Expr) -> Option<Expr> {
    let ExprKind::Percent(a) = &part.kind else { return None };
    whole_number(a).map(|n| whole(n).over(whole(100)))
}

fn place_values(part: &Expr) -> Option<Expr> {
    let ExprKind::Number(written) = &part.kind else { return None };
    let Notation::Based { base } = *written.notation() else { return None };
    let digits = written.value().numer().to_str_radix(base);
    let digits: Vec<u32> = digits.chars().map(|c| c.to_digit(base)).collect::<Option<_>>()?;
    let last = digits.len().checked_sub(1)?;
    let term = |(at, digit): (usize, u32)| {
        whole(i64::from(digit)).times(power(whole(i64::from(base)), &from_int((last - at) as i64)))
    };
    let sum = digits.into_iter().enumerate().map(term).reduce(Expr::plus);
    sum.filter(|_| last > 0)
}

fn recurring(part: &Expr) -> Option<Expr> {
    let ExprKind::Number(written) = &part.kind else { return None };
    let Notation::Repeating { places, period } = *written.notation() else { return None };
    let ten = |n: u32| num_traits::Pow::pow(Whole::from(10), n);
    // The digits up to the end of the first period, and those before it.
    let up_to = |n: u32| (written.value() * Rational::from_integer(ten(n))).floor().to_integer();
    let (all, before) = (up_to(places + period), up_to(places));
    let below = (ten(period) - 1) * ten(places);
    let number = |n: Whole| Expr::rational(&Rational::from_integer(n));
    let above = if before.is_zero() { number(all) } else { number(all).minus(number(before)) };
    Some(above.over(number(below)))
}

/// Mixed numbers that are reckoned with.
fn improper(part: &Expr) -> Option<Expr> {
    let turned = |e: &Expr| -> Option<Expr> {
        let ExprKind::Number(written) = &e.kind else { return None };
        matches!(written.notation(), Notation::Mixed { .. }).then(|| {
            let value = written.value();
            let number = |n: &Whole| Expr::rational(&Rational::from_integer(n.clone()));
            number(value.numer()).over(number(value.denom()))
        })
    };
    let rebuilt = |a: &Expr, b: &Expr, join: fn(Expr, Expr) -> Expr| match (turned(a), turned(b)) {
        (None, None) => None,
        (first, second) => {
            Some(join(first.unwrap_or_else(|| a.clone()), second.unwrap_or_else(|| b.clone())))
        }
    };
    match &part.kind {
        ExprKind::Add(a, b) => rebuilt(a, b, Expr::plus),
        ExprKind::Subtract(a, b) => rebuilt(a, b, Expr::minus),
        ExprKind::Multiply(a, b) => rebuilt(a, b, Expr::times),
        ExprKind::Divide(a, b) => rebuilt(a, b, Expr::over),
        _ => None,
    }
}

/// `2⁻³` as `1/2³`.
fn negative_exponent_of_number(part: &Expr) -> Option<Expr> {
    let ExprKind::Power(base, exponent) = &part.kind else { return None };
    let exponent = exponent.as_plain_number().filter(Signed::is_negative)?;
    whole_number(base).filter(|&n| n != 0)?;
    Some(whole(1).over(power((**base).clone(), &-exponent)))
}

fn root_then_power(part: &Expr) -> Option<Expr> {
    let ExprKind::Power(base, exponent) = &part.kind else { return None };
    whole_number(base)?;
    let exponent = exponent.as_plain_number().filter(|e| !e.is_integer() && e.is_positive())?;
    let index = exponent.denom().to_u32().filter(|&n| n <= 12)?;
    let root: Expr = ExprKind::Root { index, radicand: base.clone() }.into();
    Some(power(root, &Rational::from_integer(exponent.numer().clone())))
}

/// `12:18:24` as `2:3:4`.
#[must_use]
pub fn shortest_ratio(terms: &[Expr]) -> Option<Expr> {
    use num_integer::Integer;
    let values: Vec<Rational> = terms.iter().map(Expr::as_plain_number).collect::<Option<_>>()?;
    let below = values.iter().fold(Whole::one(), |m, v| m.lcm(v.denom()));
    let whole: Vec<Whole> = values.iter().map(|v| v.numer() * (&below / v.denom())).collect();
    let shared = whole.iter().fold(Whole::zero(), |g, n| g.gcd(n));
    if shared.is_zero() {
        return None;
    }
    let term = |n: &Whole| Expr::rational(&Rational::from_integer(n / &shared));
    Some(ExprKind::Ratio(whole.iter().map(term).collect()).into())
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::write::text;
    use crate::{Verdict, equal, read_expr};

    fn told(problem: &str) -> Vec<(String, Law)> {
        let expr = read_expr(problem).expect(problem);
        let lines =
            if expr.symbols().is_empty() { by_laws_of_numbers(&expr) } else { by_laws(&expr) };
        for (line, law) in &lines {
            let verdict = equal(&expr, line);
            assert!(
                matches!(verdict, Verdict::Equal { .. }),
                "{problem}: {law:?} gives {}",
                text(line)
            );
        }
        lines.into_iter().map(|(line, law)| (text(&line), law)).collect()
    }

    #[test]
    #[rustfmt::skip]
    fn each_law_is_a_line_of_its_own() {
        use Law::*;
        for (problem, expected) in [
            ("(a/b)/(c/d)",        &[("a/b × (d/c)", DivideByFraction), ("ad/(bc)", MultiplyFractions)][..]),
            ("1/(1+1/x)",          &[("1/((x + 1)/x)", OneFraction), ("x/(x + 1)", DivideByFraction)]),
            ("(2x^3)^2",           &[("4x^6", PowerOfProduct)]),
            ("(x^2)^3 x",          &[("x^6x", PowerOfPower), ("x^7", AddExponents)]),
            ("a^-2 b^3/(a b^-1)",  &[("b^3b/(a^2a)", NegativeExponent), ("b^4/a^3", AddExponents)]),
            ("sqrt((x+1)^2)",      &[("abs(x + 1)", RootOfSquare)]),
            ("cbrt(x^3)",          &[("x", RootOfSquare)]),
            ("sin^2 x + cos^2 x",  &[("1", Pythagoras)]),
            ("1 - cos^2 x",        &[("(sin(x))^2", Pythagoras)]),
            ("tan x cos x",        &[("sin(x)/cos(x) × cos(x)", SinesAndCosines), ("sin(x) × cos(x)/cos(x)", MultiplyFractions)]),
            ("2 log x + log y",    &[("log(x^2) + log(y)", PowerIntoLogarithm), ("log(x^2y)", SumOfLogarithms)]),
            ("ln x - ln y",        &[("ln(x/y)", DifferenceOfLogarithms)]),
            ("ln(x^3)",            &[("3 × ln(x)", LogarithmOfPower)]),
            ("e^(ln x)",           &[("x", Undo)]),
            ("10^(log x)",         &[("x", Undo)]),
            ("sin(90° - x)",       &[("cos(x)", CoFunction)]),
            ("8!/5!",              &[("8 × 7 × 6", FactorialQuotient)]),
            ("C(5,2)",             &[("5!/(2! × 3!)", Choices), ("5 × 4/2!", FactorialQuotient), ("5 × 4/(2 × 1)", Factorial)]),
            ("15% of 60",          &[("15/100 × 60", PerCent)]),
            ("2F_16",              &[("2 × 16 + 15 × 16^0", PlaceValues)]),
            ("0.1(6)",             &[("(16 - 1)/90", Recurring)]),
            ("0.(3)",              &[("3/9", Recurring)]),
            ("3 1/2 - 1 3/4",      &[("7/2 - 7/4", Improper)]),
            ("27^(-2/3)",          &[("1/27^(2/3)", NegativeExponent), ("1/∛(27)^2", RootThenPower)]),
            ("log 1000",           &[("3 × log(10)", LogarithmOfPower)]),
            ("log 4 + log 25",     &[("log(4 × 25)", SumOfLogarithms)]),
            ("x + 1",              &[]),
            ("x^(1/2)",            &[]),
            ("((x^2))^(1/2)",      &[]),
            ("0!/2!",              &[("0!/(2 × 1)", Factorial)]),
            ("C(2,5)",             &[]),
        ] {
            let expected: Vec<(String, Law)> = expected.iter().map(|(line, law)| ((*line).to_owned(), *law)).collect();
            assert_eq!(told(problem), expected, "{problem}");
        }
    }

    #[test]
    fn ratios_are_brought_to_whole_numbers_without_a_common_factor() {
        for (terms, expected) in [
            ("12:18:24", Some("2:3:4")),
            ("1.5:2", Some("3:4")),
            ("1/2:1/3", Some("3:2")),
            ("0:0", None),
            ("x:2", None),
        ] {
            let expr = read_expr(terms).expect(terms);
            let ExprKind::Ratio(terms) = &expr.kind else { panic!("{expr:?} is no ratio") };
            assert_eq!(shortest_ratio(terms).map(|ratio| text(&ratio)).as_deref(), expected);
        }
    }
}
