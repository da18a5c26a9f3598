//! Units of quantities: what they are called, and what they are in terms of a few base units.
//! Conversion is exact; the factors are definitions (BIPM, *The International System of Units*, 9th edition;
//! the international yard and pound of 1959).

use crate::number::Rational;

/// What other units are made of.
#[derive(Debug, Clone, Copy, PartialEq, Eq, PartialOrd, Ord, Hash)]
pub enum Base {
    /// Length.
    Metre,
    /// Mass.
    Kilogram,
    /// Time.
    Second,
    /// Time that has no fixed number of seconds.
    Month,
    /// Temperature, as a difference.
    Degree,
    /// Money, each currency its own.
    Dollar,
    /// Money.
    Euro,
    /// Money.
    Pound,
}

impl Base {
    /// The sign it is shown by.
    #[must_use]
    pub const fn symbol(self) -> &'static str {
        match self {
            Self::Metre => "m",
            Self::Kilogram => "kg",
            Self::Second => "s",
            Self::Month => "month",
            Self::Degree => "°C",
            Self::Dollar => "$",
            Self::Euro => "€",
            Self::Pound => "£",
        }
    }
}

struct Entry {
    /// The sign it is shown by, then the other names it is typed by.
    names: &'static [&'static str],
    /// How many of the product of base units it is, as a fraction.
    factor: (i64, i64),
    parts: &'static [(Base, i32)],
}

const fn unit(
    names: &'static [&'static str],
    factor: (i64, i64),
    parts: &'static [(Base, i32)],
) -> Entry {
    Entry { names, factor, parts }
}

const LENGTH: &[(Base, i32)] = &[(Base::Metre, 1)];
const AREA: &[(Base, i32)] = &[(Base::Metre, 2)];
const VOLUME: &[(Base, i32)] = &[(Base::Metre, 3)];
const MASS: &[(Base, i32)] = &[(Base::Kilogram, 1)];
const TIME: &[(Base, i32)] = &[(Base::Second, 1)];
const MONTHS: &[(Base, i32)] = &[(Base::Month, 1)];
const SPEED: &[(Base, i32)] = &[(Base::Metre, 1), (Base::Second, -1)];
const FORCE: &[(Base, i32)] = &[(Base::Kilogram, 1), (Base::Metre, 1), (Base::Second, -2)];
const ENERGY: &[(Base, i32)] = &[(Base::Kilogram, 1), (Base::Metre, 2), (Base::Second, -2)];
const POWER: &[(Base, i32)] = &[(Base::Kilogram, 1), (Base::Metre, 2), (Base::Second, -3)];
const PRESSURE: &[(Base, i32)] = &[(Base::Kilogram, 1), (Base::Metre, -1), (Base::Second, -2)];

#[rustfmt::skip]
const UNITS: &[Entry] = &[
    unit(&["km", "kilometre", "kilometres", "kilometer", "kilometers"],     (1000, 1), LENGTH),
    unit(&["m", "metre", "metres", "meter", "meters"],                      (1, 1), LENGTH),
    unit(&["dm", "decimetre", "decimetres"],                                (1, 10), LENGTH),
    unit(&["cm", "centimetre", "centimetres", "centimeter", "centimeters"], (1, 100), LENGTH),
    unit(&["mm", "millimetre", "millimetres", "millimeter", "millimeters"], (1, 1000), LENGTH),
    unit(&["μm", "micrometre", "micrometres"],                              (1, 1_000_000), LENGTH),
    unit(&["nm"],                                                           (1, 1_000_000_000), LENGTH),
    unit(&["in", "inch", "inches"],                                         (254, 10_000), LENGTH),
    unit(&["ft", "foot", "feet"],                                           (3048, 10_000), LENGTH),
    unit(&["yd", "yard", "yards"],                                          (9144, 10_000), LENGTH),
    unit(&["mi", "mile", "miles"],                                          (1_609_344, 1000), LENGTH),
    unit(&["ha", "hectare", "hectares"],                                    (10_000, 1), AREA),
    unit(&["L", "l", "litre", "litres", "liter", "liters"],                 (1, 1000), VOLUME),
    unit(&["dL", "dl"],                                                     (1, 10_000), VOLUME),
    unit(&["cL", "cl", "centilitre", "centilitres"],                        (1, 100_000), VOLUME),
    unit(&["mL", "ml", "millilitre", "millilitres", "milliliter", "milliliters"], (1, 1_000_000), VOLUME),
    unit(&["t", "tonne", "tonnes"],                                         (1000, 1), MASS),
    unit(&["kg", "kilogram", "kilograms"],                                  (1, 1), MASS),
    unit(&["g", "gram", "grams"],                                           (1, 1000), MASS),
    unit(&["mg", "milligram", "milligrams"],                                (1, 1_000_000), MASS),
    unit(&["lb", "pounds", "lbs"],                                          (45_359_237, 100_000_000), MASS),
    unit(&["oz", "ounce", "ounces"],                                        (45_359_237, 1_600_000_000), MASS),
    unit(&["year", "years"],                                                (12, 1), MONTHS),
    unit(&["month", "months"],                                              (1, 1), MONTHS),
    unit(&["week", "weeks"],                                                (604_800, 1), TIME),
    unit(&["day", "days"],                                             (86_400, 1), TIME),
    unit(&["h", "hr", "hrs", "hour", "hours"],                              (3600, 1), TIME),
    unit(&["min", "mins", "minute", "minutes"],                             (60, 1), TIME),
    unit(&["s", "sec", "secs", "second", "seconds"],                        (1, 1), TIME),
    unit(&["ms", "millisecond", "milliseconds"],                            (1, 1000), TIME),
    unit(&["Hz"],                                                           (1, 1), &[(Base::Second, -1)]),
    unit(&["mph"],                                                          (44_704, 100_000), SPEED),
    unit(&["kph", "kmh"],                                                   (10, 36), SPEED),
    unit(&["N", "newton", "newtons"],                                       (1, 1), FORCE),
    unit(&["J", "joule", "joules"],                                         (1, 1), ENERGY),
    unit(&["kJ"],                                                           (1000, 1), ENERGY),
    unit(&["W", "watt", "watts"],                                           (1, 1), POWER),
    unit(&["kW"],                                                           (1000, 1), POWER),
    unit(&["Pa", "pascal", "pascals"],                                      (1, 1), PRESSURE),
    unit(&["kPa"],                                                          (1000, 1), PRESSURE),
    unit(&["°C"],                                                           (1, 1), &[(Base::Degree, 1)]),
    unit(&["$", "dollar", "dollars"],                                       (1, 1), &[(Base::Dollar, 1)]),
    unit(&["¢", "cent", "cents"],                                           (1, 100), &[(Base::Dollar, 1)]),
    unit(&["€", "euro", "euros"],                                           (1, 1), &[(Base::Euro, 1)]),
    unit(&["£"],                                                            (1, 1), &[(Base::Pound, 1)]),
    unit(&["rad", "radian", "radians"],                                     (1, 1), &[]),
    unit(&["p", "pence"],                                                   (1, 100), &[(Base::Pound, 1)]),
];

/// A unit that is known here.
#[derive(Debug, Clone, Copy, PartialEq, Eq, PartialOrd, Ord, Hash)]
pub struct Unit(usize);

impl Unit {
    /// The unit that is typed so.
    #[must_use]
    pub fn named(name: &str) -> Option<Self> {
        UNITS.iter().position(|entry| entry.names.contains(&name)).map(Self)
    }

    /// All of them.
    pub fn all() -> impl Iterator<Item = Self> {
        (0..UNITS.len()).map(Self)
    }

    /// The sign it is shown by.
    #[must_use]
    pub fn symbol(self) -> &'static str {
        UNITS[self.0].names[0]
    }

    /// The name to be spoken.
    #[must_use]
    pub fn spoken(self) -> &'static str {
        UNITS[self.0].names.last().copied().unwrap_or("")
    }

    /// The name of just one, to be spoken.
    #[must_use]
    pub fn spoken_one(self) -> &'static str {
        // Names stand singular before plural.
        let names = UNITS[self.0].names;
        let one = names.len().checked_sub(2).and_then(|at| names.get(at));
        one.copied().filter(|name| name.chars().count() > 2).unwrap_or_else(|| self.spoken())
    }

    /// How many of the product of its base units it is.
    #[must_use]
    pub fn factor(self) -> Rational {
        let (above, below) = UNITS[self.0].factor;
        Rational::new(above.into(), below.into())
    }

    /// Its base units and their powers.
    #[must_use]
    pub fn parts(self) -> &'static [(Base, i32)] {
        UNITS[self.0].parts
    }

    /// Whether its sign stands before the number.
    #[must_use]
    pub fn stands_before(self) -> bool {
        matches!(self.symbol(), "$" | "€" | "£")
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn every_name_means_one_unit() {
        let mut names: Vec<_> = UNITS.iter().flat_map(|entry| entry.names).collect();
        let all = names.len();
        names.sort_unstable();
        names.dedup();
        assert_eq!(names.len(), all, "a name is used twice");
        for unit in Unit::all() {
            assert_eq!(Unit::named(unit.symbol()), Some(unit));
        }
    }

    #[test]
    fn one_of_a_unit_is_spoken_in_the_singular() {
        let said = |text: &str| {
            let options = crate::Options { quantities: true, ..crate::Options::default() };
            let line = crate::read_line_with(text, options).expect(text).line;
            crate::write::speech_line(&line)
        };
        for (one, more) in
            [("cm", "centimeter"), ("kg", "kilogram"), ("h", "hour"), ("$", "dollar")]
        {
            let unit = Unit::named(one).expect(one);
            assert_eq!(unit.spoken_one(), more, "{one}");
            assert_eq!(unit.spoken(), format!("{more}s"), "{one}");
        }
        assert_eq!(Unit::named("ft").expect("feet").spoken_one(), "foot");
        assert_eq!((said("1 cm"), said("5 cm")), ("1 centimeter".into(), "5 centimeters".into()));
        // A unit without a name of its own is spoken by its sign.
        assert_eq!(Unit::named("mph").expect("miles").spoken_one(), "mph");
    }

    #[test]
    fn conversions_are_exact() {
        for (large, small, times) in [
            ("km", "m", 1000),
            ("h", "s", 3600),
            ("kg", "g", 1000),
            ("L", "mL", 1000),
            ("$", "¢", 100),
        ] {
            let (a, b) = (Unit::named(large).expect(large), Unit::named(small).expect(small));
            assert_eq!(a.parts(), b.parts());
            assert_eq!(a.factor() / b.factor(), crate::number::from_int(times));
        }
    }
}
