//! Who is in a class: read out of a pasted list, CSV or a spreadsheet, row by row, with what each was read as.
//!
//! What belongs here: tables of names and how they are read. What never does: the database, HTTP. Of a student only the
//! first name is taken, and the first letter of the family name where two would be called the same.

mod names;
mod table;

pub use names::{LONGEST_NAME, MOST_STUDENTS, Row, people};
pub use table::{BadFile, MOST_BYTES, file, pasted};
