//! Roots, exponentials, logarithms and the circular functions on enclosures.
//!
//! Each series is summed with enclosures and closed by a bound on the terms left out, so rounding and
//! cutting off are both inside the result. Sources: R. P. Brent, P. Zimmermann, *Modern Computer
//! Arithmetic*, chapter 4 (argument reduction); J. Machin's formula for π.

use super::{Enclosure, up};
use crate::number::Whole;
use num_integer::Integer;
use num_traits::{One, Signed, ToPrimitive, Zero};
use std::sync::LazyLock;

/// Bits kept beyond those asked for.
const GUARD: u32 = 26;
/// The precision to which π and ln 2 are worked out once.
const KNOWN_BITS: u32 = 320;
/// Exponents of `e` beyond this are left alone.
const LARGEST_EXPONENT: i64 = 3_000;

impl Enclosure {
    /// A ball of radius `2^-exponent` around zero, at this precision.
    fn tiny(exponent: u32, bits: u32) -> Self {
        let radius = up(&(Whole::one() << bits), exponent);
        Self::new(-&radius, radius, bits)
    }

    /// The circle's circumference over its diameter.
    #[must_use]
    pub fn pi(bits: u32) -> Self {
        static KNOWN: LazyLock<Enclosure> = LazyLock::new(|| Enclosure::pi_worked_out(KNOWN_BITS));
        if bits <= KNOWN_BITS { KNOWN.at(bits) } else { Self::pi_worked_out(bits) }
    }

    fn pi_worked_out(bits: u32) -> Self {
        let w = bits + GUARD;
        let (a, b) = (arctan_of_inverse(5, w), arctan_of_inverse(239, w));
        a.times_int(&16.into()).minus(&b.times_int(&4.into())).at(bits)
    }

    /// The real root; `None` when an even root may be of a negative number.
    #[must_use]
    pub fn root(&self, index: u32) -> Option<Self> {
        if index == 0 || (index.is_even() && self.low.is_negative()) {
            return None;
        }
        let shift = self.bits.checked_mul(index - 1)?;
        let down = |n: &Whole| {
            let scaled: Whole = n.abs() << shift;
            let root = scaled.nth_root(index);
            let exact = num_traits::Pow::pow(&root, index) == scaled;
            (root, exact)
        };
        let end = |n: &Whole, is_low: bool| {
            let (root, exact) = down(n);
            let negative = n.is_negative();
            let away = !exact && (negative == is_low);
            let size = if away { root + 1 } else { root };
            if negative { -size } else { size }
        };
        Some(Self::new(end(&self.low, true), end(&self.high, false), self.bits))
    }

    /// `e` to this power; `None` when the power is too large to write out.
    #[must_use]
    pub fn exp(&self) -> Option<Self> {
        let limit = Whole::from(LARGEST_EXPONENT) << self.bits;
        if self.low.abs() > limit || self.high.abs() > limit {
            return None;
        }
        let low = exp_of_point(&self.ends().0);
        let width = &self.high - &self.low;
        if width.is_zero() {
            return Some(low);
        }
        // e^(a + w) ≤ e^a + 2w·e^a for 0 ≤ w ≤ 1
        if width > Whole::one() << self.bits {
            return Some(Self::hull(&low, &exp_of_point(&self.ends().1)));
        }
        let more = up(&(&low.high * width * 2), self.bits);
        Some(Self::new(low.low, low.high + more, self.bits))
    }

    /// The natural logarithm; `None` when the number may not be positive.
    #[must_use]
    pub fn ln(&self) -> Option<Self> {
        if !self.low.is_positive() {
            return None;
        }
        let low = ln_of_point(&self.ends().0);
        let width = &self.high - &self.low;
        // ln(a + w) ≤ ln a + w/a
        let more = (width << self.bits).div_ceil(&self.low);
        Some(Self::new(low.low, low.high + more, self.bits))
    }

    /// The sine.
    #[must_use]
    pub fn sin(&self) -> Self {
        self.circular(0)
    }

    /// The cosine.
    #[must_use]
    pub fn cos(&self) -> Self {
        self.circular(1)
    }

    /// `sin(self + quarters · π/2)`: the value at the low end, widened by the width of the interval,
    /// since neither function changes faster than its argument.
    fn circular(&self, quarters: i64) -> Self {
        let w = self.bits + GUARD + self.whole_bits().min(4_000);
        let x = self.ends().0.at(w);
        let half_pi = Self::pi(w).over_int(&2.into());
        let quarter_pi: Whole = &half_pi.low >> 1;
        let turns: Whole = (&x.low + quarter_pi).div_floor(&half_pi.low);
        let r = x.minus(&half_pi.times_int(&turns));
        let quadrant = (&turns + quarters).mod_floor(&4.into()).to_i64().unwrap_or(0);
        let value = match quadrant {
            0 => sin_series(&r),
            1 => cos_series(&r),
            2 => sin_series(&r).negated(),
            _ => cos_series(&r).negated(),
        };
        let value = value.at(self.bits);
        let width = &self.high - &self.low;
        let one = Whole::one() << self.bits;
        let low = (value.low - &width).max(-&one).min(one.clone());
        let high = (value.high + &width).min(one.clone()).max(-&one);
        Self::new(low, high, self.bits)
    }

    /// The inverse tangent.
    #[must_use]
    pub fn arctan(&self) -> Self {
        // It rises, and not faster than its argument.
        let low = arctan_of_point(&self.ends().0);
        let width = &self.high - &self.low;
        Self::new(low.low, low.high + width, self.bits)
    }

    /// The inverse sine of what of the interval lies between -1 and 1.
    #[must_use]
    pub fn arcsin(&self) -> Self {
        let one = Whole::one() << self.bits;
        let end = |n: &Whole| {
            let half_pi = Self::pi(self.bits).over_int(&2.into());
            if *n >= one {
                return half_pi;
            }
            if *n <= -&one {
                return half_pi.negated();
            }
            // arcsin x = π/2 - 2 arctan √((1 - x)/(1 + x))
            let x = Self::new(n.clone(), n.clone(), self.bits);
            let unit = Self::int(1, self.bits);
            let ratio = unit.minus(&x).over(&unit.plus(&x)).and_then(|q| q.root(2));
            ratio.map_or_else(
                || Self::hull(&half_pi.negated(), &half_pi),
                |q| half_pi.minus(&q.arctan().times_int(&2.into())),
            )
        };
        if self.low == self.high {
            return end(&self.low);
        }
        Self::hull(&end(&self.low), &end(&self.high))
    }
}

/// `arctan(1/n)` for a whole number above one.
fn arctan_of_inverse(n: i64, bits: u32) -> Enclosure {
    let square = Whole::from(n * n);
    let mut power = Enclosure::int(1, bits).over_int(&n.into());
    let mut sum = power.clone();
    let mut k = 1i64;
    while power.high > Whole::one() {
        power = power.over_int(&square);
        let term = power.over_int(&(2 * k + 1).into());
        sum = if k % 2 == 1 { sum.minus(&term) } else { sum.plus(&term) };
        k += 1;
    }
    // The terms alternate and fall: what is left out is less than the last.
    sum.plus(&Enclosure::tiny(bits.saturating_sub(1), bits))
}

fn exp_of_point(x: &Enclosure) -> Enclosure {
    let whole = (&x.high >> x.bits).to_i64().unwrap_or(0).max(0);
    let extra = u32::try_from(whole * 3 / 2).unwrap_or(0);
    let halvings = x.whole_bits() + 8;
    let w = x.bits + GUARD + extra + halvings;
    let r = x.at(w);
    // An exact halving: the precision has room for it.
    let r = Enclosure::new(&r.low >> halvings, up(&r.high, halvings), w);
    let mut term = Enclosure::int(1, w);
    let mut sum = term.clone();
    let mut k = 1i64;
    loop {
        term = term.times(&r).over_int(&k.into());
        sum = sum.plus(&term);
        k += 1;
        if term.is_below(w - 2) {
            break;
        }
    }
    // |r| < 1/128, so all further terms together are below the last.
    let mut result = sum.plus(&Enclosure::tiny(w - 2, w));
    for _ in 0..halvings {
        result = result.squared();
    }
    result.at(x.bits)
}

/// `2 artanh z = ln((1 + z)/(1 - z))` for `|z| ≤ 1/3`.
fn twice_artanh(z: &Enclosure) -> Enclosure {
    let square = z.squared();
    let mut power = z.clone();
    let mut sum = z.clone();
    let mut k = 1i64;
    loop {
        power = power.times(&square);
        let term = power.over_int(&(2 * k + 1).into());
        sum = sum.plus(&term);
        k += 1;
        if power.is_below(z.bits - 3) {
            break;
        }
    }
    // z² ≤ 1/9: the rest of the geometric series is below the last power.
    sum.plus(&Enclosure::tiny(z.bits - 3, z.bits)).times_int(&2.into())
}

fn ln_of_point(x: &Enclosure) -> Enclosure {
    let w = x.bits + GUARD;
    let shift = x.low.bits() as i64 - i64::from(x.bits);
    // m = x / 2^shift lies in [1/2, 1); doubled when below 0.7 it lies in [0.7, 1.4).
    let place = |shift: i64| {
        let by = i64::from(w) - i64::from(x.bits) - shift;
        let m = if let Ok(by) = u32::try_from(by) {
            let n = &x.low << by;
            Enclosure::new(n.clone(), n, w)
        } else {
            let by = u32::try_from(-by).unwrap_or(u32::MAX);
            Enclosure::new(&x.low >> by, up(&x.low, by), w)
        };
        (m, shift)
    };
    let (mut m, mut shift) = place(shift);
    if m.low < ((Whole::one() << w) * 7u32) / 10u32 {
        (m, shift) = place(shift - 1);
    }
    let one = Enclosure::int(1, w);
    let z = m.minus(&one).over(&m.plus(&one)).unwrap_or_else(|| Enclosure::int(0, w));
    let value = twice_artanh(&z);
    if shift == 0 {
        return value.at(x.bits);
    }
    value.plus(&ln_2(w).times_int(&shift.into())).at(x.bits)
}

/// `ln 2 = 2 artanh(1/3)`
fn ln_2(bits: u32) -> Enclosure {
    fn worked_out(bits: u32) -> Enclosure {
        twice_artanh(&Enclosure::int(1, bits).over_int(&3.into()))
    }
    static KNOWN: LazyLock<Enclosure> = LazyLock::new(|| worked_out(KNOWN_BITS));
    if bits <= KNOWN_BITS { KNOWN.at(bits) } else { worked_out(bits) }
}

fn sin_series(r: &Enclosure) -> Enclosure {
    alternating(r, r.clone(), 1)
}

fn cos_series(r: &Enclosure) -> Enclosure {
    alternating(r, Enclosure::int(1, r.bits), 0)
}

/// `Σ (-1)^k r^(2k + start) / (2k + start)!` for `|r| < 1`.
fn alternating(r: &Enclosure, first: Enclosure, start: i64) -> Enclosure {
    let square = r.squared();
    let mut term = first.clone();
    let mut sum = first;
    let mut n = start;
    let mut minus = true;
    loop {
        term = term.times(&square).over_int(&((n + 1) * (n + 2)).into());
        n += 2;
        sum = if minus { sum.minus(&term) } else { sum.plus(&term) };
        minus = !minus;
        if term.is_below(r.bits - 2) {
            break;
        }
    }
    sum.plus(&Enclosure::tiny(r.bits - 2, r.bits))
}

fn arctan_of_point(x: &Enclosure) -> Enclosure {
    if x.low.is_zero() {
        return x.clone();
    }
    let w = x.bits + GUARD + x.whole_bits().min(4_000);
    let mut y = x.at(w);
    let one = Enclosure::int(1, w);
    // arctan y = 2 arctan(y / (1 + √(1 + y²)))
    for _ in 0..4 {
        let below = one.plus(&y.squared()).root(2).map(|root| one.plus(&root));
        y = below.and_then(|below| y.over(&below)).unwrap_or(y);
    }
    let square = y.squared();
    let mut power = y.clone();
    let mut sum = y;
    let mut k = 1i64;
    loop {
        power = power.times(&square);
        let term = power.over_int(&(2 * k + 1).into());
        sum = if k % 2 == 1 { sum.minus(&term) } else { sum.plus(&term) };
        k += 1;
        if power.is_below(w - 2) {
            break;
        }
    }
    sum.plus(&Enclosure::tiny(w - 2, w)).times_int(&16.into()).at(x.bits)
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::number::Rational;

    fn of(numerator: i64, denominator: i64, bits: u32) -> Enclosure {
        Enclosure::of(&Rational::new(numerator.into(), denominator.into()), bits)
    }

    /// An enclosure, as the digits that its two ends share.
    fn digits(value: &Enclosure) -> String {
        let low = crate::number::to_decimal_text(&value.low(), 40);
        let high = crate::number::to_decimal_text(&value.high(), 40);
        let same = low.chars().zip(high.chars()).take_while(|(a, b)| a == b).count();
        low[..same].to_owned()
    }

    #[test]
    #[rustfmt::skip]
    fn the_digits_are_those_of_the_tables() {
        let b = 160;
        for (value, expected) in [
            (Enclosure::pi(b),                            "3.1415926535897932384626433832795028841"),
            (of(1, 1, b).exp().expect("small"),           "2.7182818284590452353602874713526624977"),
            (of(-5, 2, b).exp().expect("small"),          "0.0820849986238987951695286744671598078"),
            (of(20, 1, b).exp().expect("small"),          "485165195.4097902779691068305415405586"),
            (of(2, 1, b).ln().expect("positive"),         "0.6931471805599453094172321214581765680"),
            (of(1, 1000, b).ln().expect("positive"),      "-6.907755278982137052053974364053092622"),
            (of(2, 1, b).root(2).expect("positive"),      "1.4142135623730950488016887242096980785"),
            (of(-8, 1, b).root(3).expect("odd"),          "-2.00000000000000000000000000000000000000"),
            (of(1, 1, b).sin(),                           "0.8414709848078965066525023216302989996"),
            (of(1, 1, b).cos(),                           "0.5403023058681397174009366074429766037"),
            (of(-100, 1, b).sin(),                        "0.5063656411097587936565576104597854320"),
            (of(1, 1, b).arctan(),                        "0.7853981633974483096156608458198757210"),
            (of(-30, 1, b).arctan(),                      "-1.537475330916649422075173902618357495"),
            (of(1, 2, b).arcsin(),                        "0.5235987755982988730771072305465838140"),
        ] {
            assert!(digits(&value).starts_with(expected), "{} for {expected}", digits(&value));
        }
    }

    #[test]
    fn what_may_lie_outside_the_domain_is_not_answered() {
        assert_eq!(of(-1, 3, 64).root(2), None);
        assert_eq!(of(0, 1, 64).ln(), None);
        assert_eq!(of(1, 1, 64).over(&of(0, 1, 64)), None);
        assert_eq!(of(10_000, 1, 64).exp(), None);
    }

    #[test]
    fn laws_hold_inside_the_enclosures() {
        for (n, d) in [(1, 3), (-7, 5), (22, 7), (-1, 1000), (50, 3)] {
            let x = of(n, d, 96);
            let one = x.sin().squared().plus(&x.cos().squared());
            assert!(one.low() <= Rational::one() && Rational::one() <= one.high());
            let back = x.exp().and_then(|y| y.ln()).expect("positive");
            assert!(back.low() <= x.high() && x.low() <= back.high(), "{n}/{d}");
            let tangent = x.arctan();
            let again = tangent.sin().over(&tangent.cos()).expect("not zero");
            assert!(again.low() <= x.high() && x.low() <= again.high(), "{n}/{d}");
        }
    }
}
