//! Ticks at round numbers.

/// Round numbers from `low` to `high`, at most about `most` of them, and how many decimal places they need.
pub(super) fn ticks(low: f64, high: f64, most: f64) -> (Vec<f64>, usize) {
    let length = high - low;
    if !(length.is_finite() && length > 0.0) {
        return (Vec::new(), 0);
    }
    let rough = length / most;
    let unit = 10f64.powf(rough.log10().floor());
    let step = [1.0, 2.0, 5.0, 10.0].into_iter().map(|n| n * unit).find(|step| *step >= rough);
    let step = step.unwrap_or(10.0 * unit);
    let places = (-step.log10().floor()).max(0.0) as usize;
    let first = (low / step).ceil() as i64;
    let last = (high / step).floor() as i64;
    ((first..=last.min(first + 60)).map(|n| n as f64 * step).collect(), places)
}

/// The number at a tick, with the sign of the trade.
pub(super) fn number(value: f64, places: usize) -> String {
    format!("{value:.places$}")
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn ticks_are_round_and_few() {
        assert_eq!(ticks(-3.0, 8.0, 12.0), ((-3..=8).map(f64::from).collect(), 0));
        assert_eq!(ticks(0.0, 1.0, 6.0), (vec![0.0, 0.2, 0.4, 0.6000000000000001, 0.8, 1.0], 1));
        assert_eq!(ticks(0.0, 0.0, 6.0).0.len(), 0);
        assert!(ticks(-1e9, 1e9, 10.0).0.len() <= 11);
    }
}
