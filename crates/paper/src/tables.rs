//! Tables as spreadsheets: text with commas, and .xlsx.

use rust_xlsxwriter::{Format, Workbook};

/// A cell.
#[derive(Debug, Clone, PartialEq, Eq)]
pub enum Cell {
    /// Nothing.
    Empty,
    /// A text; it never runs as a formula.
    Text(String),
    /// A count.
    Count(u32),
}

/// A table: its name, its head, and its rows.
#[derive(Debug, Clone, PartialEq, Eq, Default)]
pub struct Table {
    /// What it is called.
    pub name: String,
    /// What stands above its columns.
    pub head: Vec<String>,
    /// Its rows.
    pub rows: Vec<Vec<Cell>>,
}

/// A table that could not be written: more than a spreadsheet holds.
#[derive(Debug, thiserror::Error)]
#[error("the table could not be written: {0}")]
pub struct NoTable(String);

/// Longest name of a sheet that spreadsheets take, in characters.
const LONGEST_NAME: usize = 31;

/// A text that no spreadsheet takes for a formula: programs run what begins with one of these signs.
fn defused(text: &str) -> String {
    let runs = text.starts_with(['=', '+', '-', '@', '\t', '\r', '\n']);
    if runs { format!("'{text}") } else { text.to_owned() }
}

/// A table as text, its values apart by commas.
///
/// # Errors
/// Never in practice: it is written into memory.
pub fn csv(table: &Table) -> Result<Vec<u8>, NoTable> {
    let failed = |error: &dyn std::fmt::Display| NoTable(error.to_string());
    let mut writer = csv::WriterBuilder::new().flexible(true).from_writer(Vec::new());
    let head = table.head.iter().map(|text| defused(text));
    writer.write_record(head).map_err(|error| failed(&error))?;
    for row in &table.rows {
        let cells = row.iter().map(|cell| match cell {
            Cell::Empty => String::new(),
            Cell::Text(text) => defused(text),
            Cell::Count(count) => count.to_string(),
        });
        writer.write_record(cells).map_err(|error| failed(&error))?;
    }
    // Spreadsheets tell UTF-8 by this mark.
    let mut bytes = "\u{feff}".as_bytes().to_vec();
    bytes.extend(writer.into_inner().map_err(|error| failed(&error))?);
    Ok(bytes)
}

/// Tables as one .xlsx file, a sheet for each.
///
/// # Errors
/// [`NoTable`] for more than a spreadsheet holds.
pub fn xlsx(tables: &[Table]) -> Result<Vec<u8>, NoTable> {
    let failed = |error: rust_xlsxwriter::XlsxError| NoTable(error.to_string());
    let mut book = Workbook::new();
    let bold = Format::new().set_bold();
    for (at, table) in tables.iter().enumerate() {
        let sheet = book.add_worksheet();
        sheet.set_name(sheet_name(&table.name, at)).map_err(failed)?;
        for (text, column) in table.head.iter().zip(0u16..) {
            sheet.write_string_with_format(0, column, text, &bold).map_err(failed)?;
        }
        for (line, row) in table.rows.iter().zip(1u32..) {
            for (cell, column) in line.iter().zip(0u16..) {
                match cell {
                    Cell::Empty => continue,
                    // A string of its own kind: it is never read as a formula.
                    Cell::Text(text) => sheet.write_string(row, column, text),
                    Cell::Count(count) => sheet.write_number(row, column, *count),
                }
                .map_err(failed)?;
            }
        }
        sheet.set_freeze_panes(1, 1).map_err(failed)?;
    }
    book.save_to_buffer().map_err(failed)
}

/// A name that a sheet may have: short, without the signs that are not allowed, and its own.
fn sheet_name(name: &str, at: usize) -> String {
    let kept = name.chars().filter(|c| !"[]:*?/\\'".contains(*c));
    let kept: String = kept.take(LONGEST_NAME - 3).collect();
    let kept = kept.trim();
    if at == 0 && !kept.is_empty() { kept.to_owned() } else { format!("{kept} {}", at + 1) }
}

#[cfg(test)]
mod tests {
    use super::*;
    use calamine::{Data, Reader, Xlsx};
    use std::io::Cursor;

    /// What a spreadsheet program would run if it were let.
    const BOMBS: &[&str] = &["=1+1", "+1", "-1", "@SUM(A1)", "\t=1", "\r=1", "=HYPERLINK(\"x\")"];

    fn table() -> Table {
        let row =
            |text: &str, count| vec![Cell::Text(text.into()), Cell::Count(count), Cell::Empty];
        Table {
            name: "7b: set [2]".into(),
            head: vec!["Student".into(), "=A1".into(), "Note".into()],
            rows: BOMBS.iter().zip(1..).map(|(text, count)| row(text, count)).collect(),
        }
    }

    #[test]
    fn no_cell_of_a_text_file_runs_as_a_formula() {
        let bytes = csv(&table()).expect("written");
        let text = String::from_utf8(bytes).expect("UTF-8");
        let plain = text.strip_prefix('\u{feff}').expect("the mark of UTF-8");
        let mut reader = ::csv::Reader::from_reader(plain.as_bytes());
        let head = reader.headers().expect("a head").clone();
        assert_eq!(head.iter().collect::<Vec<_>>(), ["Student", "'=A1", "Note"]);
        let rows: Vec<_> = reader.records().map(|row| row.expect("a row")).collect();
        assert_eq!(rows.len(), BOMBS.len());
        for (row, bomb) in rows.iter().zip(BOMBS) {
            assert_eq!(row[0], format!("'{bomb}"));
        }
    }

    #[test]
    fn a_spreadsheet_holds_the_same_as_texts_and_numbers() {
        let second = Table { name: "7b: set [2]".into(), ..Table::default() };
        let bytes = xlsx(&[table(), second]).expect("written");
        let mut book: Xlsx<_> = calamine::open_workbook_from_rs(Cursor::new(bytes)).expect("read");
        assert_eq!(book.sheet_names(), ["7b set 2", "7b set 2 2"]);
        let sheet = book.worksheet_range("7b set 2").expect("a sheet");
        for (at, bomb) in (1u32..).zip(BOMBS) {
            assert_eq!(sheet.get_value((at, 0)), Some(&Data::String((*bomb).to_owned())));
            assert_eq!(sheet.get_value((at, 1)), Some(&Data::Float(f64::from(at))));
        }
        assert!(book.worksheet_formula("7b set 2").expect("read").is_empty());
    }

    #[test]
    fn a_sheet_has_a_name_whatever_it_is_called() {
        for (name, at, expected) in [
            ("", 0, "1"),
            ("???", 3, "4"),
            (
                "A name that is far too long for a spreadsheet to take",
                0,
                "A name that is far too long",
            ),
            ("O'Brien: 8a", 0, "OBrien 8a"),
        ] {
            let given = sheet_name(name, at);
            assert_eq!(given.trim(), expected);
            assert!((1..=LONGEST_NAME).contains(&given.chars().count()), "{given}");
        }
    }

    #[test]
    fn what_begins_like_no_formula_stays_as_it_is() {
        for text in ["Ada", "3 - 1", "a=b", " =1", ""] {
            assert_eq!(defused(text), text);
        }
    }
}
