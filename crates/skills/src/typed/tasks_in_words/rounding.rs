//! Rounding to figures, to places and to the nearest ten or hundred.

use crate::typed::words::{Told, written};
use algebra::Rational;
use algebra::number::{from_int, round_to_places, to_decimal_text};
use num_traits::Zero;
use teaching::typeset::Lines;

/// A number rounded to whole multiples of ten to that power, shown with its claim.
fn rounded(told: &Told, places: i32) -> Option<Lines> {
    let unit = if places >= 0 {
        Rational::new(1.into(), 10_i64.checked_pow(places.unsigned_abs())?.into())
    } else {
        from_int(10_i64.checked_pow(places.unsigned_abs())?)
    };
    let scaled = &told.value / &unit;
    let near = round_to_places(&scaled, 0) * &unit;
    let half = &unit / from_int(2);
    let places = u32::try_from(places).unwrap_or(0);
    let shown = to_decimal_text(&near, places);
    let (low, high) = (written(&(&near - &half)), written(&(&near + &half)));
    let lines = Lines::default()
        .work(
            &format!("{low} <= {} < {high}", told.text),
            "It lies nearer to this multiple than to any other",
        )
        .begin(&told.text, "The number")
        .round(&format!("≈ {shown}"), "Rounded");
    Some(lines)
}

pub(super) fn to_figures(n: &[Told]) -> Option<Lines> {
    let [number, figures] = n else { return None };
    let figures = i32::try_from(figures.whole(8).filter(|n| *n > 0)?).ok()?;
    if number.value.is_zero() {
        return None;
    }
    // The place of the first figure that is not zero.
    let first = (-9..=12).rev().find(|&power: &i32| {
        let unit = if power >= 0 {
            from_int(10_i64.pow(power.unsigned_abs()))
        } else {
            Rational::new(1.into(), 10_i64.pow(power.unsigned_abs()).into())
        };
        number.value >= unit
    })?;
    rounded(number, figures - 1 - first)
}

pub(super) fn to_places(n: &[Told]) -> Option<Lines> {
    let [number, places] = n else { return None };
    rounded(number, i32::try_from(places.whole(8)?).ok()?)
}

pub(super) fn to_nearest(n: &[Told]) -> Option<Lines> {
    let [number, unit] = n else { return None };
    let power = (0..=6).find(|&power| unit.value == from_int(10_i64.pow(power)))?;
    rounded(number, -i32::try_from(power).ok()?)
}
