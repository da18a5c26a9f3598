//! The algebra, asked from outside, as one program: by tables, by properties, and against floating point.

mod assumed;
mod constants;
mod crossings;
mod division;
mod field;
mod forms;
mod functions;
mod oracle;
mod quantities;
mod readings;
mod rings;
mod round_trips;
mod roundings;
mod school;
mod sets;
mod signs;
mod systems;
mod told;
mod worked_forms;

use proptest::prelude::ProptestConfig;

/// As many cases as `PROPTEST_CASES` says, for a long run, or as many as are usual for the property.
fn cases(usual: u32) -> ProptestConfig {
    let asked = std::env::var("PROPTEST_CASES").ok().and_then(|cases| cases.parse().ok());
    ProptestConfig { cases: asked.unwrap_or(usual), ..ProptestConfig::default() }
}
