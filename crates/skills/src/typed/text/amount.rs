//! A number as it was typed, and what it is a number of.

use algebra::number::{decimal_places, show, to_decimal_text};
use algebra::unit::{Base, Unit};
use algebra::{Line, Rational, read_line};
use num_traits::{One, Signed, ToPrimitive};
use std::collections::BTreeMap;

/// A unit, a power of one, or one over another: cm², km/h, £.
#[derive(Debug, Clone, PartialEq, Eq)]
pub(in crate::typed) struct Measure {
    /// As it is typed in mathematics: `cm^2`.
    text: String,
    factor: Rational,
    parts: BTreeMap<Base, i32>,
}

impl Measure {
    /// Degrees of an angle, which have no other unit here.
    pub(in crate::typed) fn degrees() -> Self {
        Self { text: "°".into(), factor: Rational::one(), parts: BTreeMap::new() }
    }

    /// The unit that is typed so: `cm`, `square metres`, `sq cm`, `m3`, `km/h`, `miles per hour`.
    pub(in crate::typed) fn named(name: &str) -> Option<Self> {
        let name = name.trim();
        if matches!(name, "°" | "degree" | "degrees" | "deg") {
            return Some(Self::degrees());
        }
        for link in ["/", " per ", " an "] {
            if let Some((above, below)) = name.split_once(link) {
                return Some(Self::simple(above.trim())?.over(&Self::simple(below.trim())?));
            }
        }
        Self::simple(name)
    }

    fn simple(name: &str) -> Option<Self> {
        for (word, power) in [("square ", 2), ("sq ", 2), ("cubic ", 3), ("cu ", 3)] {
            if let Some(rest) = name.strip_prefix(word) {
                return Some(Self::of(Unit::named(rest)?).to(power));
            }
        }
        for (sign, power) in [
            ("²", 2),
            ("³", 3),
            ("^2", 2),
            ("^3", 3),
            (" squared", 2),
            (" cubed", 3),
            ("2", 2),
            ("3", 3),
        ] {
            if let Some(rest) = name.strip_suffix(sign) {
                return Some(Self::of(Unit::named(rest)?).to(power));
            }
        }
        let lower = name.to_lowercase();
        Unit::named(name).or_else(|| Unit::named(&lower)).map(Self::of)
    }

    fn of(unit: Unit) -> Self {
        let parts = unit.parts().iter().copied().collect();
        Self { text: unit.symbol().into(), factor: unit.factor(), parts }
    }

    /// Its square, its cube.
    pub(in crate::typed) fn to(&self, power: u32) -> Self {
        let text = if power == 1 { self.text.clone() } else { format!("{}^{power}", self.text) };
        let factor = (0..power).fold(Rational::one(), |product, _| product * &self.factor);
        let times = i32::try_from(power).unwrap_or(1);
        let parts = self.parts.iter().map(|(base, n)| (*base, n * times)).collect();
        Self { text, factor, parts }
    }

    /// One unit for each of another: km/h.
    pub(in crate::typed) fn over(&self, other: &Self) -> Self {
        let mut parts = self.parts.clone();
        for (base, n) in &other.parts {
            *parts.entry(*base).or_default() -= n;
        }
        parts.retain(|_, n| *n != 0);
        let factor = &self.factor / &other.factor;
        Self { text: format!("{}/{}", self.text, other.text), factor, parts }
    }

    /// The unit of which this is the power, where it is one: cm for cm².
    pub(in crate::typed) fn root(&self, power: u32) -> Option<Self> {
        let name = self.text.strip_suffix(&format!("^{power}"))?;
        Self::simple(name)
    }

    /// Whether amounts in both can be compared.
    pub(in crate::typed) fn fits(&self, other: &Self) -> bool {
        self.parts == other.parts && (self.text == "°") == (other.text == "°")
    }

    /// Whether it measures just this, to that power.
    pub(in crate::typed) fn is_of(&self, base: Base, power: i32) -> bool {
        self.parts.len() == 1 && self.parts.get(&base) == Some(&power)
    }

    /// Whether it is money of any kind.
    pub(in crate::typed) fn is_money(&self) -> bool {
        [Base::Dollar, Base::Euro, Base::Pound].iter().any(|base| self.is_of(*base, 1))
    }

    /// How much of the other one it is.
    pub(in crate::typed) fn in_terms_of(&self, other: &Self) -> Rational {
        &self.factor / &other.factor
    }

    /// As it is typed in mathematics: `cm^2`.
    pub(in crate::typed) fn text(&self) -> &str {
        &self.text
    }

    /// As people write it: `cm²`.
    pub(in crate::typed) fn shown(&self) -> String {
        self.text.replace("^2", "²").replace("^3", "³")
    }

    /// A number of it, as people write it: `12 cm²`, `£2.50`, `45°`.
    pub(in crate::typed) fn with(&self, number: &str) -> String {
        match self.text.as_str() {
            "£" | "$" | "€" => match number.strip_prefix('-') {
                Some(rest) => format!("-{}{rest}", self.text),
                None => format!("{}{number}", self.text),
            },
            "°" | "p" | "¢" => format!("{number}{}", self.text),
            "day" | "week" | "month" | "year" if number != "1" => {
                format!("{number} {}s", self.text)
            }
            _ => format!("{number} {}", self.shown()),
        }
    }
}

/// A number as it was typed, with what stands on it.
#[derive(Debug, Clone, PartialEq)]
pub(in crate::typed) struct Amount {
    /// As it is typed in mathematics, without separators of thousands: `3/4`, `2.50`, `20π`.
    pub text: String,
    /// Its value; with π, how many times π.
    pub value: Rational,
    /// Whether it is so many times π.
    pub is_of_pi: bool,
    /// Whether it is so many percent.
    pub is_percent: bool,
    /// The unit, where one stands on it.
    pub unit: Option<Measure>,
}

impl Amount {
    /// A number as it is typed, when it is one.
    pub(in crate::typed) fn read(text: &str) -> Option<Self> {
        let Line::Expression(read) = read_line(text).ok()?.line else { return None };
        let value = read.as_plain_number()?;
        let (text, value) = (text.to_owned(), value.clone());
        Some(Self { text, value, is_of_pi: false, is_percent: false, unit: None })
    }

    /// A number that was worked out.
    pub(in crate::typed) fn of(value: Rational) -> Self {
        let text = written(&value);
        Self { text, value, is_of_pi: false, is_percent: false, unit: None }
    }

    /// The whole number from 0 to `most` that it is.
    pub(in crate::typed) fn whole(&self, most: i64) -> Option<i64> {
        let is_whole = self.value.is_integer() && !self.is_of_pi;
        let whole = is_whole.then(|| self.value.to_integer().to_i64())??;
        (0..=most).contains(&whole).then_some(whole)
    }

    /// Whether it is above zero.
    pub(in crate::typed) fn is_positive(&self) -> bool {
        self.value.is_positive()
    }

    /// As it stands in a calculation: negative numbers and quotients in brackets.
    pub(in crate::typed) fn factor(&self) -> String {
        if self.text.contains(['-', '/', ' ']) {
            format!("({})", self.text)
        } else {
            self.text.clone()
        }
    }

    /// As it is said: with its unit.
    pub(in crate::typed) fn shown(&self) -> String {
        match &self.unit {
            Some(unit) => unit.with(&self.text),
            None if self.is_percent => format!("{}%", self.text),
            None => self.text.clone(),
        }
    }

    /// As it is typed in mathematics with its unit.
    pub(in crate::typed) fn measured(&self) -> String {
        match &self.unit {
            // Tenths of a pound are written with two places.
            Some(unit) if unit.is_money() && decimal_places(&self.value) == Some(1) => {
                unit.with(&to_decimal_text(&self.value, 2))
            }
            Some(unit) if unit.is_money() => unit.with(&self.text),
            Some(unit) => format!("{} {}", self.text, unit.text()),
            None => self.text.clone(),
        }
    }

    /// Its value in another unit that fits.
    pub(in crate::typed) fn value_in(&self, unit: &Measure) -> Option<Rational> {
        let own = self.unit.as_ref()?;
        own.fits(unit).then(|| &self.value * own.in_terms_of(unit))
    }
}

/// A value as it is written in a working: a decimal where it ends soon, else a fraction.
pub(in crate::typed) fn written(value: &Rational) -> String {
    match decimal_places(value) {
        Some(places) if places <= 6 => to_decimal_text(value, places),
        _ => show(value),
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn values_are_written_as_decimals_where_they_end() {
        let value = |a: i64, b: i64| Rational::new(a.into(), b.into());
        assert_eq!(written(&value(9, 4)), "2.25");
        assert_eq!(written(&value(1, 3)), "1/3");
        assert_eq!(written(&value(60, 5)), "12");
    }

    #[test]
    #[rustfmt::skip]
    fn a_unit_is_known_by_every_way_of_writing_it() {
        for (one, other) in [
            ("cm²", "square centimetres"), ("m^3", "cubic metres"), ("sq cm", "cm2"), ("km/h", "kilometres per hour"),
            ("m", "metres"), ("km", "Kilometres"), ("cm squared", "cm²"),
        ] {
            let (one, other) = (Measure::named(one).expect(one), Measure::named(other).expect(other));
            assert!(one == other, "{one:?} {other:?}");
        }
        let unit = |name| Measure::named(name).expect(name);
        assert_eq!(unit("m²").in_terms_of(&unit("cm²")), Rational::from_integer(10_000.into()));
        assert!(unit("km/h").fits(&unit("m/s")) && !unit("km/h").fits(&unit("m")));
        assert_eq!(unit("cm²").root(2), Some(unit("cm")));
        assert_eq!((unit("£").with("-2.50"), unit("cm²").with("3")), ("-£2.50".into(), "3 cm²".into()));
        assert_eq!(Measure::named("jars"), None);
    }
}
