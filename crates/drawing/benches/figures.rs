//! What the largest figure of each kind takes: at most 5 ms and 1 MB.

#[path = "../tests/all/kinds.rs"]
mod kinds;

use drawing::{draw, svg::svg};
use std::time::Instant;
use teaching::figure::Figure;

fn main() {
    for figure in kinds::kinds() {
        let large = kinds::as_large_as_it_may_be(&figure);
        let figure: Figure = serde_json::from_value(large.clone()).expect("it may be");
        let best = (0..5).map(|_| {
            let began = Instant::now();
            let length = svg(&draw(&figure)).len();
            (began.elapsed(), length)
        });
        let (took, length) = best.min().expect("five runs");
        let kind = large["kind"].as_str().unwrap_or_default();
        println!("{kind:<18} {:>7.2} ms {:>8} bytes", took.as_secs_f64() * 1e3, length);
    }
}
