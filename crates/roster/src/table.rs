//! Tables out of text and files: cells as text, row by row.

use calamine::{Data, Reader, Xlsx};
use std::io::Cursor;

/// Largest file, in bytes.
pub const MOST_BYTES: usize = 1 << 20;
/// Most bytes that a spreadsheet may unfold to: its parts are packed.
const MOST_UNPACKED: u64 = 32 << 20;
/// Most rows and columns that are looked at.
const MOST_ROWS: usize = 2_000;
const MOST_COLUMNS: usize = 40;
/// Longest cell, in characters; the rest is no name.
const LONGEST_CELL: usize = 200;

/// Why a file cannot be read, in one sentence that says what to do.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub struct BadFile(pub &'static str);

const TOO_LARGE: BadFile =
    BadFile("This file is too large for a class list. Save only the names, and try again.");
const NO_TABLE: BadFile =
    BadFile("No table was found in this file. Save it as .xlsx or .csv, or paste the names.");
const EMPTY: BadFile = BadFile("There are no names in it.");

type Table = Vec<Vec<String>>;

fn cell(text: &str) -> String {
    text.split_whitespace().collect::<Vec<_>>().join(" ").chars().take(LONGEST_CELL).collect()
}

fn whole(rows: Table) -> Result<Table, BadFile> {
    let filled: Table = rows
        .into_iter()
        .filter(|row| row.iter().any(|cell| !cell.is_empty()))
        .take(MOST_ROWS)
        .collect();
    if filled.is_empty() { Err(EMPTY) } else { Ok(filled) }
}

/// The table in a file: a spreadsheet, or text with separators.
///
/// # Errors
/// [`BadFile`] with a sentence.
pub fn file(bytes: &[u8]) -> Result<Table, BadFile> {
    if bytes.len() > MOST_BYTES {
        return Err(TOO_LARGE);
    }
    // Packed files begin with these two letters.
    if bytes.starts_with(b"PK") { spreadsheet(bytes) } else { pasted(&decoded(bytes)) }
}

/// The first sheet of a spreadsheet.
fn spreadsheet(bytes: &[u8]) -> Result<Table, BadFile> {
    let mut parts = zip::ZipArchive::new(Cursor::new(bytes)).map_err(|_| NO_TABLE)?;
    let mut unpacked: u64 = 0;
    for at in 0..parts.len() {
        let size = parts.by_index_raw(at).map_err(|_| NO_TABLE)?.size();
        unpacked = unpacked.saturating_add(size);
    }
    if unpacked > MOST_UNPACKED || parts.len() > 500 {
        return Err(TOO_LARGE);
    }
    let mut book: Xlsx<_> = Xlsx::new(Cursor::new(bytes)).map_err(|_| NO_TABLE)?;
    let sheet = book.worksheet_range_at(0).ok_or(NO_TABLE)?.map_err(|_| NO_TABLE)?;
    let text = |data: &Data| match data {
        Data::String(text) => cell(text),
        Data::Int(number) => number.to_string(),
        Data::Float(number) => number.to_string(),
        _ => String::new(),
    };
    let rows = sheet.rows().take(MOST_ROWS);
    whole(rows.map(|row| row.iter().take(MOST_COLUMNS).map(text).collect()).collect())
}

/// Bytes as text: UTF-8, or what old programs write instead.
fn decoded(bytes: &[u8]) -> String {
    let bytes = bytes.strip_prefix(b"\xef\xbb\xbf").unwrap_or(bytes);
    match std::str::from_utf8(bytes) {
        Ok(text) => text.to_owned(),
        // ISO 8859-1: each byte is its own sign.
        Err(_) => bytes.iter().map(|&byte| char::from(byte)).collect(),
    }
}

/// The table in a text: a name a line, or columns with commas, semicolons or tabs between them.
///
/// # Errors
/// [`BadFile`] when nothing is in it.
pub fn pasted(text: &str) -> Result<Table, BadFile> {
    if text.len() > MOST_BYTES {
        return Err(TOO_LARGE);
    }
    if text.contains('\0') {
        return Err(NO_TABLE);
    }
    let separator = separator(text);
    let mut reader = csv::ReaderBuilder::new()
        .has_headers(false)
        .flexible(true)
        .delimiter(separator)
        .from_reader(text.as_bytes());
    let mut rows = Vec::new();
    for record in reader.records().take(MOST_ROWS) {
        let record = record.map_err(|_| NO_TABLE)?;
        rows.push(record.iter().take(MOST_COLUMNS).map(cell).collect());
    }
    whole(rows)
}

/// What stands between the columns: the sign that most lines have equally often. "Lark, Ada" alone in a line is one name.
fn separator(text: &str) -> u8 {
    let lines: Vec<&str> = text.lines().filter(|line| !line.trim().is_empty()).take(30).collect();
    let shared = |sign: char| {
        let counts: Vec<usize> = lines.iter().map(|line| line.matches(sign).count()).collect();
        let first = counts.first().copied().unwrap_or_default();
        first > 0 && counts.iter().filter(|&&count| count == first).count() * 10 >= counts.len() * 8
    };
    if shared('\t') {
        b'\t'
    } else if shared(';') {
        b';'
    } else if shared(',') && !lines.iter().all(|line| is_turned_name(line)) {
        b','
    } else {
        // A sign that no list has.
        0x1f
    }
}

/// "Lark, Ada": a family name, a comma, a first name.
fn is_turned_name(line: &str) -> bool {
    let is_name = |part: &str| {
        !part.trim().is_empty() && part.chars().all(|c| c.is_alphabetic() || " .'’-".contains(c))
    };
    match line.split_once(',') {
        Some((family, first)) => is_name(family) && first.starts_with(' ') && is_name(first),
        None => false,
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    #[rustfmt::skip]
    fn columns_are_found_by_what_stands_between_them() {
        for (text, first) in [
            ("Ada\nBo\n", &["Ada"][..]),
            ("Ada;Lark;7b\nBo;Reed;7b", &["Ada", "Lark", "7b"]),
            ("Ada\tLark\nBo\tReed", &["Ada", "Lark"]),
            ("first,last\nAda,Lark", &["first", "last"]),
            ("Lark, Ada\nReed, Bo", &["Lark, Ada"]),
            ("\"Lark, Ada\";7b\n\"Reed, Bo\";7b", &["Lark, Ada", "7b"]),
            ("\n\n  Ada   Mae \n", &["Ada Mae"]),
        ] {
            assert_eq!(pasted(text).expect(text)[0], first, "{text}");
        }
        assert_eq!(pasted(" \n\n"), Err(EMPTY));
        assert_eq!(pasted("a\0b"), Err(NO_TABLE));
    }

    #[test]
    fn files_of_every_kind_are_read_or_refused() {
        let mut book = rust_xlsxwriter::Workbook::new();
        let sheet = book.add_worksheet();
        for (row, name) in ["First name", "Ada", "Bo"].into_iter().enumerate() {
            sheet.write(u32::try_from(row).expect("small"), 0, name).expect("written");
        }
        let bytes = book.save_to_buffer().expect("a file");
        assert_eq!(file(&bytes).expect("read"), [["First name"], ["Ada"], ["Bo"]]);
        assert_eq!(file("Zoë\nÅsa".as_bytes()).expect("read"), [["Zoë"], ["Åsa"]]);
        assert_eq!(file(b"Zo\xeb\n\xc5sa").expect("read"), [["Zoë"], ["Åsa"]]);
        assert_eq!(file(b"\xef\xbb\xbfAda").expect("read"), [["Ada"]]);
        for bad in [&b"PK\x03\x04 no such thing"[..], &bytes[..bytes.len() / 2], b"\0\0\0"] {
            assert_eq!(file(bad), Err(NO_TABLE));
        }
        assert_eq!(file(&vec![b'a'; MOST_BYTES + 1]), Err(TOO_LARGE));
    }
}
