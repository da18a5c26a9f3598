//! Tables of rows `asked => said`: compared with what is said now, or written down anew.

use std::fmt::Write as _;
use std::path::Path;

/// What is asked in a row.
pub fn asked(row: &str) -> &str {
    row.split_once(" => ").map_or(row, |(asked, _)| asked).trim_end()
}

/// Asserts that every row says what `said` says of it now. With `HONEY_LADDER_BLESS=1` the files, named below the
/// folder of the tests, are written down anew instead: row by row, and the rest of each as it is.
pub fn check(tables: &[(&str, &[&str])], said: impl Fn(&str) -> String) {
    let now = |row: &str| format!("{} => {}", asked(row), said(asked(row)));
    let mut wrong = String::new();
    for row in tables.iter().flat_map(|(_, rows)| rows.iter().copied()) {
        let now = now(row);
        if row != now {
            writeln!(wrong, "{row}\n   now: {now}").expect("a string takes it");
        }
    }
    if std::env::var_os("HONEY_LADDER_BLESS").is_none() {
        assert!(wrong.is_empty(), "\n{wrong}");
        return;
    }
    for (file, _) in tables {
        let path = Path::new(env!("CARGO_MANIFEST_DIR")).join("tests").join(file);
        let source = std::fs::read_to_string(&path).expect("a table");
        let mut written = String::new();
        for line in source.lines() {
            let row = line.strip_prefix("    r\"").and_then(|row| row.strip_suffix("\","));
            match row.map(now) {
                Some(now) => writeln!(written, "    r\"{now}\","),
                None => writeln!(written, "{line}"),
            }
            .expect("a string takes it");
        }
        std::fs::write(&path, written).expect("the table is written");
    }
}
