//! The rules of WCAG 2.2 AA that a program can check, asked of a page as it stands.

use crate::Browser;
use std::path::Path;

/// The rules to be kept: levels A and AA of WCAG 2.0, 2.1 and 2.2.
const RULES: &str = "['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22a', 'wcag22aa']";

/// Every rule that the page breaks: its name, the element, and what is wrong with it.
///
/// # Panics
/// When the checker is not installed (`./test` does so) or does not answer.
pub async fn broken_rules(browser: &Browser) -> Vec<String> {
    let checker =
        Path::new(env!("CARGO_MANIFEST_DIR")).join("../web/node_modules/axe-core/axe.min.js");
    let checker = std::fs::read_to_string(checker).expect("the checker is installed");
    // The page's own policy allows no script from elsewhere; the driver stands above it.
    browser.run(&format!("if (!window.axe) {{ {checker} }}")).await;
    // A colour on its way to another is no colour of the page.
    browser.at_rest().await;
    let told = browser
        .ask_later(&format!(
            "axe.run(document, {{ runOnly: {{ type: 'tag', values: {RULES} }}, resultTypes: ['violations'] }})\
             .then((found) => found.violations.flatMap((rule) => rule.nodes.map((node) =>\
                 `${{rule.id}}: ${{node.target.join(' ')}}: ${{node.failureSummary}} ${{node.html.slice(0, 160)}}`)))"
        ))
        .await;
    serde_json::from_value(told.clone()).unwrap_or_else(|_| panic!("the checker says: {told}"))
}
