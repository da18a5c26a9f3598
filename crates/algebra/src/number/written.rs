//! A number as written: its exact value, and the notation it was given in.

use super::{Integer, Rational};
use num_traits::{Num, Pow, Zero};

/// How a number was written.
#[derive(Debug, Clone, PartialEq, Eq, PartialOrd, Ord, Hash)]
pub enum Notation {
    /// `36`
    Integer,
    /// `2.50`, with that many decimal places.
    Decimal { places: u32 },
    /// `0.1(6)`: `places` digits after the point, then a period of `period` digits for ever.
    Repeating { places: u32, period: u32 },
    /// `3 1/2`: the whole part and the fraction as written, which need not be in lowest terms.
    Mixed { whole: Integer, numerator: Integer, denominator: Integer },
    /// `1011_2`: a whole number in that base.
    Based { base: u32 },
    /// `3.2e5`: `places` digits after the point of the mantissa, and the power of ten.
    Scientific { places: u32, exponent: i32 },
}

/// How far a number is told to be rounded.
#[derive(Debug, Clone, PartialEq, Eq, PartialOrd, Ord, Hash)]
pub enum Rounding {
    /// To that many decimal places.
    Places(u32),
    /// To that many significant figures, at least one.
    Figures(u32),
    /// To the nearest whole multiple of this.
    Nearest(Rational),
}

impl Rounding {
    /// As it would be typed.
    #[must_use]
    pub fn text(&self) -> String {
        match self {
            Self::Places(n) => format!("{n} dp"),
            Self::Figures(n) => format!("{n} sf"),
            Self::Nearest(step) => format!("nearest {}", super::show(step)),
        }
    }
}

/// An exact value with the notation it was written in. Never negative: a sign is an operation.
#[derive(Debug, Clone, PartialEq, Eq, PartialOrd, Ord, Hash)]
pub struct Written {
    value: Rational,
    notation: Notation,
    rounding: Option<Rounding>,
}

impl Written {
    fn new(value: Rational, notation: Notation) -> Self {
        Self { value, notation, rounding: None }
    }

    /// The same number, told to be rounded so far.
    #[must_use]
    pub fn rounded_to(self, rounding: Rounding) -> Self {
        Self { rounding: Some(rounding), ..self }
    }

    /// How far it is told to be rounded.
    #[must_use]
    pub const fn rounding(&self) -> Option<&Rounding> {
        self.rounding.as_ref()
    }

    /// A whole number.
    #[must_use]
    pub fn whole(n: impl Into<Integer>) -> Self {
        Self::new(Rational::from_integer(n.into()), Notation::Integer)
    }

    /// Reads digits with at most one point, such as `12`, `.5`, `2.50`. `None` if it is not that.
    #[must_use]
    pub fn decimal(text: &str) -> Option<Self> {
        let (whole, part) = text.split_once('.').unwrap_or((text, ""));
        if whole.len() + part.len() == 0 {
            return None;
        }
        let digits: Integer = format!("0{whole}{part}").parse().ok()?;
        let places = u32::try_from(part.len()).ok()?;
        let value = Rational::new(digits, Integer::from(10).pow(places));
        let notation = if places > 0 { Notation::Decimal { places } } else { Notation::Integer };
        Some(Self::new(value, notation))
    }

    /// `fixed` as in [`Written::decimal`], followed by `period` for ever.
    #[must_use]
    pub fn repeating(fixed: &str, period: &str) -> Option<Self> {
        let start = Self::decimal(fixed)?;
        let places = u32::try_from(fixed.split_once('.')?.1.len()).ok()?;
        let length = u32::try_from(period.len()).ok()?;
        let nines = Integer::from(10).pow(length) - 1;
        let tail = Rational::new(period.parse().ok()?, nines * Integer::from(10).pow(places));
        let notation = Notation::Repeating { places, period: length };
        Some(Self::new(start.value + tail, notation))
    }

    /// `whole numerator/denominator`. `None` when the denominator is zero.
    #[must_use]
    pub fn mixed(whole: Integer, numerator: Integer, denominator: Integer) -> Option<Self> {
        if denominator.is_zero() {
            return None;
        }
        let part = Rational::new(numerator.clone(), denominator.clone());
        let value = Rational::from_integer(whole.clone()) + part;
        Some(Self::new(value, Notation::Mixed { whole, numerator, denominator }))
    }

    /// `mantissa` times ten to the power `exponent`. `None` beyond a power of 400 either way.
    #[must_use]
    pub fn scientific(mantissa: &str, exponent: i32) -> Option<Self> {
        let start = Self::decimal(mantissa)?;
        let size = exponent.unsigned_abs();
        if size > 400 {
            return None;
        }
        let power = Rational::from_integer(Integer::from(10).pow(size));
        let value = if exponent < 0 { start.value / power } else { start.value * power };
        let places = match start.notation {
            Notation::Decimal { places } => places,
            _ => 0,
        };
        Some(Self::new(value, Notation::Scientific { places, exponent }))
    }

    /// A whole number in a base from 2 to 16, its digits as they are typed: `1011` in base 2. `None` when a
    /// digit does not belong to the base.
    #[must_use]
    pub fn based(digits: &str, base: u32) -> Option<Self> {
        let upper = digits.bytes().all(|b| b.is_ascii_digit() || b.is_ascii_uppercase());
        if !(2..=16).contains(&base) || digits.is_empty() || !upper {
            return None;
        }
        let value = Integer::from_str_radix(digits, base).ok()?;
        Some(Self::new(Rational::from_integer(value), Notation::Based { base }))
    }

    /// The exact value.
    #[must_use]
    pub fn value(&self) -> &Rational {
        &self.value
    }

    /// The notation it was written in.
    #[must_use]
    pub fn notation(&self) -> &Notation {
        &self.notation
    }

    /// The number as it would be typed, without how far it is rounded.
    #[must_use]
    pub fn text(&self) -> String {
        match &self.notation {
            Notation::Integer => self.value.numer().to_string(),
            Notation::Decimal { places } => super::to_decimal_text(&self.value, *places),
            Notation::Repeating { places, period } => {
                let all = places + period;
                let scale = Rational::from_integer(Integer::from(10).pow(all));
                let cut = (&self.value * &scale).floor() / scale;
                let digits = super::to_decimal_text(&cut, all);
                let at = digits.len() - *period as usize;
                format!("{}({})", &digits[..at], &digits[at..])
            }
            Notation::Based { base } => {
                format!("{}_{base}", super::in_base(&self.value, *base))
            }
            Notation::Mixed { whole, numerator, denominator } => {
                format!("{whole} {numerator}/{denominator}")
            }
            Notation::Scientific { places, exponent } => {
                let power = Rational::from_integer(Integer::from(10).pow(exponent.unsigned_abs()));
                let mantissa =
                    if *exponent < 0 { &self.value * power } else { &self.value / power };
                format!("{}e{exponent}", super::to_decimal_text(&mantissa, *places))
            }
        }
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn a_number_keeps_its_value_and_its_writing() {
        for (written, value, text) in [
            (Written::decimal("2.50"), "5/2", "2.50"),
            (Written::decimal(".5"), "1/2", "0.5"),
            (Written::decimal("0036"), "36", "36"),
            (Written::repeating("0.1", "6"), "1/6", "0.1(6)"),
            (Written::repeating("0.", "142857"), "1/7", "0.(142857)"),
            (Written::mixed(3.into(), 1.into(), 2.into()), "7/2", "3 1/2"),
            (Written::scientific("3.2", 5), "320000", "3.2e5"),
            (Written::based("1011", 2), "11", "1011_2"),
            (Written::based("2F", 16), "47", "2F_16"),
            (Written::scientific("5", -2), "1/20", "5e-2"),
        ] {
            let written = written.expect("these are numbers");
            assert_eq!(super::super::show(written.value()), value);
            assert_eq!(written.text(), text);
        }
        assert!(Written::mixed(1.into(), 1.into(), 0.into()).is_none());
        assert!(Written::scientific("1", 100_000).is_none());
        assert!(Written::based("12", 2).is_none() && Written::based("2f", 16).is_none());
    }
}
