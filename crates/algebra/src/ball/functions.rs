//! Roots, exponentials, logarithms and the circular functions on enclosures.
//!
//! Each argument is brought near zero, where a short series in fixed point says the value and how far it may
//! be off (`series`), so rounding and cutting off are both inside the result. Sources: R. P. Brent,
//! P. Zimmermann, *Modern Computer Arithmetic*, chapter 4 (argument reduction); J. Machin's formula for π.

use super::series::{self, Sum};
use super::{Enclosure, up};
use crate::number::Integer;
use crate::work::unlimited;
use num_integer::Integer as _;
use num_traits::{One, Signed, ToPrimitive, Zero};
use std::sync::LazyLock;

/// Bits kept beyond those asked for.
const GUARD: u32 = 20;
/// The precisions to which π, ln 2 and a few angles are worked out once: for quick looks, and for the
/// closest that is usually asked for.
const KNOWN_BITS: [u32; 2] = [96, 640];
/// Exponents of `e` beyond this are left alone.
const LARGEST_EXPONENT: i64 = 3_000;
/// Angles of more binary digits than this are not brought back to a quarter of a turn.
const LARGEST_ANGLE: u32 = 4_000;
/// The inverse tangent is known at the multiples of one over this, up to one.
const PLACES: i64 = 8;

/// A constant at the precisions of [`KNOWN_BITS`].
struct Known {
    kept: LazyLock<[Enclosure; 2]>,
    worked_out: fn(u32) -> Enclosure,
}

impl Known {
    const fn new(kept: fn() -> [Enclosure; 2], worked_out: fn(u32) -> Enclosure) -> Self {
        Self { kept: LazyLock::new(kept), worked_out }
    }

    fn at(&self, bits: u32) -> Enclosure {
        let kept = KNOWN_BITS.iter().position(|&known| bits <= known);
        kept.map_or_else(|| (self.worked_out)(bits), |i| self.kept[i].at(bits))
    }
}

static PI: Known = Known::new(|| unlimited(|| KNOWN_BITS.map(pi_worked_out)), pi_worked_out);
static LN_2: Known = Known::new(|| unlimited(|| KNOWN_BITS.map(ln_2_worked_out)), ln_2_worked_out);

fn pi_worked_out(bits: u32) -> Enclosure {
    let w = bits + GUARD;
    let of = |n| Enclosure::around(series::arctan_of_inverse(n, w), w);
    of(5).times_int(&16.into()).minus(&of(239).times_int(&4.into())).at(bits)
}

/// `ln 2 = 2 artanh(1/3)`
fn ln_2_worked_out(bits: u32) -> Enclosure {
    let w = bits + GUARD;
    // The third is cut off by less than a unit, and artanh changes at most 4/3 times as fast.
    let sum = series::artanh(&(Integer::one() << w).div_floor(&3.into()), w);
    Enclosure::around(Sum { error: sum.error + 2, ..sum }, w).times_int(&2.into()).at(bits)
}

/// The inverse tangent of `place/8`.
fn arctan_of_place(place: usize, bits: u32) -> Enclosure {
    /// By doubling `tan(a/2) = tan a / (1 + √(1 + tan² a))` once, where it is above a half.
    fn worked_out(place: i64, bits: u32) -> Enclosure {
        let w = bits + GUARD;
        let one = Enclosure::int(1, w);
        let tangent = one.times_int(&place.into()).over_int(&PLACES.into());
        let below = one.plus(&tangent.squared()).root(2).map(|root| one.plus(&root));
        let half = below.and_then(|below| tangent.over(&below)).unwrap_or(tangent);
        let width = (&half.high - &half.low).to_i64().unwrap_or(i64::MAX / 2);
        let sum = series::arctan(&half.low, w);
        Enclosure::around(Sum { error: sum.error + width, ..sum }, w).times_int(&2.into()).at(bits)
    }
    static KEPT: LazyLock<[Vec<Enclosure>; 2]> = LazyLock::new(|| {
        unlimited(|| KNOWN_BITS.map(|bits| (0..=PLACES).map(|n| worked_out(n, bits)).collect()))
    });
    match KNOWN_BITS.iter().position(|&known| bits <= known) {
        Some(i) => KEPT[i][place].at(bits),
        None => worked_out(place as i64, bits),
    }
}

impl Enclosure {
    /// A sum with its bound.
    fn around(sum: Sum, bits: u32) -> Self {
        Self::new(&sum.value - sum.error, sum.value + sum.error, bits)
    }

    /// The circle's circumference over its diameter.
    #[must_use]
    pub fn pi(bits: u32) -> Self {
        PI.at(bits)
    }

    /// The real root; `None` when an even root may be of a negative number.
    #[must_use]
    pub fn root(&self, index: u32) -> Option<Self> {
        if index == 0 || (index.is_even() && self.low.is_negative()) {
            return None;
        }
        let shift = self.bits.checked_mul(index - 1)?;
        let down = |n: &Integer| {
            let scaled: Integer = n.abs() << shift;
            let root = scaled.nth_root(index);
            let exact = num_traits::Pow::pow(&root, index) == scaled;
            (root, exact)
        };
        let end = |n: &Integer, is_low: bool| {
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
        let limit = Integer::from(LARGEST_EXPONENT) << self.bits;
        if self.low.abs() > limit || self.high.abs() > limit {
            return None;
        }
        let low = exp_of_point(&self.low, self.bits);
        let width = &self.high - &self.low;
        if width.is_zero() {
            return Some(low);
        }
        // e^(a + w) ≤ e^a + 2w·e^a for 0 ≤ w ≤ 1
        if width > Integer::one() << self.bits {
            return Some(Self::hull(&low, &exp_of_point(&self.high, self.bits)));
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
        let low = ln_of_point(&self.low, self.bits);
        let width = &self.high - &self.low;
        if width.is_zero() {
            return Some(low);
        }
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
        let one = Integer::one() << self.bits;
        let size = self.whole_bits();
        if size > LARGEST_ANGLE {
            return Self::new(-&one, one, self.bits);
        }
        let w = self.bits + GUARD;
        // Bits of the whole part are lost when whole quarters are taken away.
        let x = &self.low << (GUARD + size);
        // The units of π, with one bit less, are those of its half.
        let half_pi = Self { bits: w + size, ..Self::pi(w + size - 1) };
        let quarter_pi: Integer = &half_pi.low >> 1;
        let turns: Integer = (&x + quarter_pi).div_floor(&half_pi.low);
        let r = half_pi.times_int(&-&turns);
        let r = Self::new(&x + r.low, &x + r.high, w + size).at(w);
        let quadrant = (&turns + quarters).mod_floor(&4.into()).to_i64().unwrap_or(0);
        let sum =
            if quadrant % 2 == 0 { series::sine(&r.low, w) } else { series::cosine(&r.low, w) };
        let value = Self::around(sum, w);
        let value = if quadrant < 2 { value } else { value.negated() }.at(self.bits);
        let width = (&self.high - &self.low) + up(&(r.high - r.low), GUARD);
        let low = (value.low - &width).max(-&one).min(one.clone());
        let high = (value.high + &width).min(one.clone()).max(-&one);
        Self::new(low, high, self.bits)
    }

    /// The inverse tangent.
    #[must_use]
    pub fn arctan(&self) -> Self {
        // It rises, and not faster than its argument.
        let low = arctan_of_point(&self.low, self.bits);
        let width = &self.high - &self.low;
        Self::new(low.low, low.high + width, self.bits)
    }

    /// The inverse sine of what of the interval lies between -1 and 1.
    #[must_use]
    pub fn arcsin(&self) -> Self {
        let one = Integer::one() << self.bits;
        let end = |n: &Integer| {
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

fn exp_of_point(x: &Integer, bits: u32) -> Enclosure {
    // x = k·ln 2 + r; a first look at k says how many bits its product with ln 2 needs.
    let near = LN_2.at(bits + GUARD);
    let half: Integer = &near.low >> 1;
    let k = ((x << GUARD) + half).div_floor(&near.low);
    let times = k.to_i64().unwrap_or(0);
    let w = bits + GUARD + u32::try_from(times).unwrap_or(0);
    let fine = w + u32::try_from(k.bits()).unwrap_or(0);
    let r = LN_2.at(fine).times_int(&-&k);
    let x = x << (fine - bits);
    let r = Enclosure::new(&x + r.low, x + r.high, fine).at(w);
    let sum = series::exponential(&r.low, w);
    let high = &sum.value + sum.error + (r.high - r.low) * 2;
    let value = Enclosure::new(sum.value - sum.error, high, w);
    // Twice for each k: the point moves.
    let by = u32::try_from(i64::from(w) - i64::from(bits) - times).unwrap_or(0);
    Enclosure::new(&value.low >> by, up(&value.high, by), bits)
}

fn ln_of_point(x: &Integer, bits: u32) -> Enclosure {
    let w = bits + GUARD;
    let shift = x.bits() as i64 - i64::from(bits);
    // m = x / 2^shift lies in [1/2, 1); doubled when below 0.7 it lies in [0.7, 1.4).
    let place = |shift: i64| {
        let by = i64::from(w) - i64::from(bits) - shift;
        u32::try_from(by).map_or_else(|_| x >> u32::try_from(-by).unwrap_or(u32::MAX), |by| x << by)
    };
    let one = Integer::one() << w;
    let (mut m, mut shift) = (place(shift), shift);
    if m < &one * 7u32 / 10u32 {
        shift -= 1;
        m = place(shift);
    }
    let z = ((&m - &one) << w).div_floor(&(m + one));
    let sum = series::artanh(&z, w);
    // m and z are each cut off by less than a unit, and artanh changes at most 1.04 times as fast.
    let value = Enclosure::around(Sum { error: sum.error + 3, ..sum }, w).times_int(&2.into());
    if shift == 0 {
        return value.at(bits);
    }
    value.plus(&LN_2.at(w).times_int(&shift.into())).at(bits)
}

fn arctan_of_point(x: &Integer, bits: u32) -> Enclosure {
    if x.is_negative() {
        return arctan_of_point(&-x, bits).negated();
    }
    let w = bits + GUARD;
    let one = Integer::one() << w;
    // Above one: arctan x = π/2 - arctan(1/x).
    let is_above = *x > Integer::one() << bits;
    let y = if is_above { (Integer::one() << (w + bits)).div_floor(x) } else { x << GUARD };
    // arctan y = arctan c + arctan((y - c)/(1 + cy)) with c the nearest eighth.
    let half: Integer = &one >> 1;
    let place = (&y * PLACES + half) >> w;
    let z = ((&y * PLACES - &place * &one) << w).div_floor(&(&one * PLACES + &place * &y));
    let sum = series::arctan(&z, w);
    // y and z are each cut off by less than a unit, and arctan changes no faster than its argument.
    let rest = Enclosure::around(Sum { error: sum.error + 2, ..sum }, w);
    let value = rest.plus(&arctan_of_place(place.to_i64().unwrap_or(0) as usize, w));
    if is_above {
        return Enclosure::pi(w).over_int(&2.into()).minus(&value).at(bits);
    }
    value.at(bits)
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

    /// What few bits enclose, many bits enclose too.
    #[test]
    fn rough_and_fine_enclosures_meet() {
        type Of = fn(&Enclosure) -> Option<Enclosure>;
        let functions: [(&str, Of); 6] = [
            ("exp", Enclosure::exp),
            ("ln", Enclosure::ln),
            ("sin", |x| Some(x.sin())),
            ("cos", |x| Some(x.cos())),
            ("arctan", |x| Some(x.arctan())),
            ("square root", |x| x.root(2)),
        ];
        let sizes = [1, 3, 8, 10, 100, 355, 9_999, 1 << 20];
        for (name, function) in functions {
            for (n, d) in sizes.iter().flat_map(|&n| sizes.map(|d| (n, d))) {
                for n in [n, -n] {
                    let Some(fine) = function(&of(n, d, 400)) else { continue };
                    for bits in [4, 20, 34, 64, 90, 200] {
                        let rough = function(&of(n, d, bits));
                        // Few bits may not tell a small number from zero.
                        let Some(rough) = rough else { continue };
                        let meets = rough.low() <= fine.high() && fine.low() <= rough.high();
                        assert!(meets, "{name} of {n}/{d} with {bits} bits");
                        let exact = of(n, d, bits);
                        let is_point = exact.low == exact.high;
                        let width = (rough.high - rough.low).bits();
                        let allowed = if name == "exp" { 8 + fine.high.bits() } else { 8 };
                        assert!(!is_point || width <= allowed, "{name} of {n}/{d} is too wide");
                    }
                }
            }
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
