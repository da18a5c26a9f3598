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
