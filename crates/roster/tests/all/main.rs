//! Lists of names as they come: whatever is in a file, it is read or refused, and what is taken in is a name.

use proptest::prelude::*;
use roster::{LONGEST_NAME, MOST_STUDENTS, file, pasted, people};
use std::collections::HashSet;

/// Lists as they are typed, exported and broken.
fn lists() -> impl Strategy<Value = String> {
    let cell = prop_oneof![
        "[A-Z][a-z]{0,8}",
        "[A-Z][a-z]{1,6}, [A-Z][a-z]{1,6}",
        "[A-Z][a-z]{1,6} [A-Z][a-z]{1,6}",
        "[0-9]{1,3}",
        "\\PC{0,12}",
        Just(String::new()),
        Just("First name".to_owned()),
        Just("\"".to_owned()),
    ];
    let separator = prop_oneof![Just(","), Just(";"), Just("\t"), Just(" ")];
    let row = prop::collection::vec(cell, 0..5);
    (prop::collection::vec(row, 0..30), separator).prop_map(|(rows, separator)| {
        rows.iter().map(|row| row.join(separator)).collect::<Vec<_>>().join("\n")
    })
}

proptest! {
    #[test]
    fn what_is_taken_in_is_a_name_and_each_name_once(text in lists()) {
        let Ok(table) = pasted(&text) else { return Ok(()) };
        let already = vec!["Ada".to_owned(), "Bo".to_owned()];
        let rows = people(&table, &already);
        let mut seen: HashSet<String> = already.iter().map(|name| name.to_lowercase()).collect();
        for row in &rows {
            // What is left out says why.
            prop_assert!(!row.name.is_empty() || !row.says.is_empty(), "{row:?}");
            if row.name.is_empty() {
                continue;
            }
            prop_assert!(row.name.chars().count() <= LONGEST_NAME + 3, "{row:?}");
            prop_assert!(row.name.chars().any(char::is_alphabetic), "{row:?}");
            prop_assert!(!row.name.contains(['|', ';', '\t', '\n']), "{row:?}");
            prop_assert!(seen.insert(row.name.to_lowercase()), "twice: {row:?}");
        }
        prop_assert!(seen.len() <= MOST_STUDENTS);
    }

    #[test]
    fn any_bytes_are_read_or_refused(bytes in prop::collection::vec(any::<u8>(), 0..400)) {
        let _ = file(&bytes).map(|table| people(&table, &[]));
        let packed: Vec<u8> = b"PK\x03\x04".iter().chain(&bytes).copied().collect();
        prop_assert!(file(&packed).is_err());
    }
}

#[test]
fn a_spreadsheet_that_unfolds_to_too_much_is_refused() {
    let mut book = rust_xlsxwriter::Workbook::new();
    let sheet = book.add_worksheet();
    // Small on the disk, large unfolded: the same long text in many cells.
    let long = "Ada ".repeat(8_000);
    for row in 0..1_200 {
        sheet.write(row, 0, format!("{long}{row}")).expect("written");
    }
    let bytes = book.save_to_buffer().expect("a file");
    assert!(bytes.len() < roster::MOST_BYTES, "{} bytes", bytes.len());
    let refused = file(&bytes).expect_err("too much");
    assert!(refused.0.contains("too large"), "{}", refused.0);
}

#[test]
fn a_spreadsheet_of_twelve_is_read_as_it_stands() {
    let mut book = rust_xlsxwriter::Workbook::new();
    let sheet = book.add_worksheet();
    sheet.write(0, 0, "Form 7b, autumn").expect("written");
    for (column, heading) in [(0, "No"), (1, "Last name"), (2, "First name")] {
        sheet.write(1, column, heading).expect("written");
    }
    for row in 0..12u32 {
        let letter = char::from_u32(u32::from('A') + row).expect("a letter");
        sheet.write(row + 2, 0, f64::from(row + 1)).expect("written");
        sheet.write(row + 2, 1, "Lark").expect("written");
        sheet.write(row + 2, 2, format!("{letter}da")).expect("written");
    }
    let table = file(&book.save_to_buffer().expect("a file")).expect("read");
    let rows = people(&table, &[]);
    let names: Vec<&str> = rows.iter().map(|row| row.name.as_str()).collect();
    assert_eq!(names.len(), 12);
    assert_eq!((names[0], names[11], rows[0].written.as_str()), ("Ada", "Lda", "1 | Lark | Ada"));
}
