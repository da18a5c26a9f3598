//! What is wrong with a line that cannot be read, and what to do.

use algebra::read::{Expected, Note, ReadError, ReadErrorKind};

/// How a line was read that could be meant otherwise, and how to write the other.
#[must_use]
pub fn note(note: &Note) -> &'static str {
    match note {
        Note::DividesThenMultiplies(_) => {
            "Read from left to right: divided, then multiplied. To divide by the whole product, put it in brackets."
        }
        Note::DividesByFraction(_) => "Read as divided by that fraction.",
        Note::DecimalComma(_) => "The comma is read as a decimal point.",
        Note::PowerEnds(_) => {
            "Read with only that number as the exponent. For a longer exponent, put all of it in brackets."
        }
        Note::Repeats(_) => "Read as a decimal that repeats.",
    }
}

/// One sentence that says what to do about `error`.
#[must_use]
pub fn unreadable(error: &ReadError) -> String {
    match &error.kind {
        ReadErrorKind::Empty => "There is nothing on this line yet.".into(),
        ReadErrorKind::TooLong => {
            "This line is too long to read. Please split it into shorter lines.".into()
        }
        ReadErrorKind::TooDeep => {
            "Too many brackets stand inside each other here. Please split the line.".into()
        }
        ReadErrorKind::UnknownCharacter(c) => {
            format!("The sign “{c}” has no meaning here. Take it out, or write it another way.")
        }
        ReadErrorKind::UnknownWord(word) => {
            let short: String = word.chars().take(30).collect();
            format!("“{short}” was not recognised. Use single letters for unknowns.")
        }
        ReadErrorKind::MissingOperand { operator, after: true } => {
            format!("Something is missing after “{operator}”.")
        }
        ReadErrorKind::MissingOperand { operator, .. } => {
            format!("Something is missing before “{operator}”.")
        }
        ReadErrorKind::UnexpectedEnd(Expected::Value) => {
            "The line stops early: a number, a letter or a bracket should follow.".into()
        }
        ReadErrorKind::UnexpectedEnd(Expected::Closing(c)) => {
            format!("The line stops early: a closing “{c}” should follow.")
        }
        ReadErrorKind::Unexpected(sign) => {
            let short: String = sign.chars().take(30).collect();
            format!("“{short}” cannot stand in this place.")
        }
        ReadErrorKind::Unclosed(c) => format!("This “{c}” is never closed."),
        ReadErrorKind::Unopened(c) => format!("This “{c}” closes a bracket that was not opened."),
        ReadErrorKind::EmptyBox => "A box here is still empty.".into(),
        ReadErrorKind::BadNumber(text) => {
            let short: String = text.chars().take(30).collect();
            format!("“{short}” is not a number. Check its points and its fraction.")
        }
        ReadErrorKind::FlatPower { letter, digits } => {
            format!(
                "Is the {digits} an exponent? Then it is {letter}^{digits}. A mark below is {letter}_{digits}."
            )
        }
        ReadErrorKind::NotAnExpression => {
            "An expression is needed here, without an equals sign.".into()
        }
    }
}
