//! Lessons and benches, as one program.

mod bench;
mod examples;
mod long_walks;

use proptest::prelude::ProptestConfig;

/// As many cases as `PROPTEST_CASES` says, for a long run, or as many as are usual for the property.
fn cases(usual: u32) -> ProptestConfig {
    let asked = std::env::var("PROPTEST_CASES").ok().and_then(|cases| cases.parse().ok());
    ProptestConfig {
        cases: asked.unwrap_or(usual),
        max_shrink_iters: 400,
        ..ProptestConfig::default()
    }
}
