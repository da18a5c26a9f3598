//! What a row of a list is read as: the first name of a student, or why it is none.

use serde::Serialize;
use std::collections::HashSet;
use utoipa::ToSchema;

/// Most students of one class.
pub const MOST_STUDENTS: usize = 200;
/// Longest first name, in characters.
pub const LONGEST_NAME: usize = 40;

/// A row of a list, and what it was read as.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, ToSchema)]
pub struct Row {
    /// As it stands in the list.
    pub written: String,
    /// The name that is taken; empty where none is.
    pub name: String,
    /// Why it is taken otherwise than it stands there, or not at all; empty where nothing is to be said.
    pub says: String,
}

/// Headings of a column of first names, of family names, and of whole names.
const FIRST: &[&str] = &[
    "first name",
    "firstname",
    "first",
    "given name",
    "given names",
    "forename",
    "preferred name",
    "known as",
    "vorname",
    "prénom",
    "prenom",
    "nombre",
];
const FAMILY: &[&str] = &[
    "last name",
    "lastname",
    "last",
    "family name",
    "surname",
    "nachname",
    "nom",
    "apellido",
    "apellidos",
];
const WHOLE: &[&str] =
    &["name", "names", "full name", "student", "student name", "pupil", "students"];

/// Which columns hold what.
#[derive(Debug, Clone, Copy, Default)]
struct Columns {
    first: usize,
    family: Option<usize>,
    has_heading: bool,
}

fn columns(table: &[Vec<String>]) -> Columns {
    let heading = |row: &[String], names: &[&str]| {
        row.iter().position(|cell| names.contains(&cell.to_lowercase().trim_end_matches(':')))
    };
    // A heading may stand below a title of the whole list.
    for row in table.iter().take(5) {
        let first = heading(row, FIRST);
        if let Some(first) = first.or_else(|| heading(row, WHOLE)) {
            return Columns { first, family: heading(row, FAMILY), has_heading: true };
        }
    }
    // Without one: the first column in which most cells look like names.
    let width = table.iter().map(Vec::len).max().unwrap_or_default();
    let named = |at: usize| {
        table.iter().filter(|row| row.get(at).is_some_and(|cell| is_name(cell))).count()
    };
    let first = (0..width).find(|&at| named(at) * 2 > table.len()).unwrap_or_default();
    // "Ada | Lark": two columns of one word each are a first and a family name.
    let single = |at: usize| {
        let all = table.iter().filter_map(|row| row.get(at));
        all.filter(|cell| is_name(cell) && !cell.contains(' ')).count() * 2 > table.len()
    };
    let family = Some(first + 1).filter(|&next| single(first) && single(next));
    Columns { first, family, has_heading: false }
}

/// Whether a cell looks like a name: letters, and what stands within names.
fn is_name(cell: &str) -> bool {
    !cell.is_empty()
        && cell.chars().any(char::is_alphabetic)
        && cell.chars().all(|c| c.is_alphabetic() || " .,'’-\u{200c}\u{200d}".contains(c))
}

/// The rows of a table as people. Those in `already` are in the class.
#[must_use]
pub fn people(table: &[Vec<String>], already: &[String]) -> Vec<Row> {
    let columns = columns(table);
    let mut taken: HashSet<String> = already.iter().map(|name| name.to_lowercase()).collect();
    let room = MOST_STUDENTS.saturating_sub(already.len());
    let mut found: Vec<Row> = Vec::new();
    let mut below = !columns.has_heading;
    for row in table {
        let written: Vec<&str> =
            row.iter().map(String::as_str).filter(|cell| !cell.is_empty()).collect();
        let written = written.join(" | ");
        if !below {
            // The heading itself, and what stands above it.
            let cell = row.get(columns.first).map(|cell| cell.to_lowercase()).unwrap_or_default();
            below = FIRST.iter().chain(WHOLE).any(|name| *name == cell.trim_end_matches(':'));
            continue;
        }
        let cell = row.get(columns.first).map(String::as_str).unwrap_or_default();
        let family = columns.family.and_then(|at| row.get(at)).map(String::as_str);
        let mut read = person(cell, family, &taken);
        if !read.name.is_empty() && found.iter().filter(|row| !row.name.is_empty()).count() >= room
        {
            read = Row { says: "The class is full: it has room for 200.".into(), ..Row::no(cell) };
        }
        if !read.name.is_empty() {
            taken.insert(read.name.to_lowercase());
        }
        found.push(Row { written, ..read });
    }
    found
}

impl Row {
    fn no(written: &str) -> Self {
        Self { written: written.to_owned(), name: String::new(), says: String::new() }
    }
}

/// One cell as a person.
fn person(cell: &str, family: Option<&str>, taken: &HashSet<String>) -> Row {
    let refused = |says: &str| Row { says: says.to_owned(), ..Row::no(cell) };
    if cell.is_empty() {
        return refused("No name stands here.");
    }
    // "Lark, Ada"
    let (first, family) = match (cell.split_once(','), family) {
        (Some((family, first)), None) if !first.trim().is_empty() => (first.trim(), Some(family)),
        _ => (cell, family),
    };
    if !is_name(first) {
        return refused("This does not look like a name.");
    }
    // "Ada Lark": the last word is the family name where no column holds it.
    let (first, family) = match (first.rsplit_once(' '), family) {
        (Some((given, last)), None) => (given, Some(last)),
        (_, family) => (first, family),
    };
    let first = first.trim_end_matches(['.', ',']).trim();
    if first.chars().count() > LONGEST_NAME {
        return refused("This name is too long: 40 letters are the most.");
    }
    if !taken.contains(&first.to_lowercase()) {
        return Row { name: first.to_owned(), ..Row::no(cell) };
    }
    let letter = family.and_then(|family| family.trim().chars().find(|c| c.is_alphabetic()));
    let longer = letter.map(|letter| format!("{first} {}.", letter.to_uppercase()));
    match longer.filter(|name| !taken.contains(&name.to_lowercase())) {
        Some(name) => Row {
            says: format!("Another {first} is in the class."),
            ..Row { name, ..Row::no(cell) }
        },
        None => refused("Somebody of this name is in the class. Add a letter to tell them apart."),
    }
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::table::pasted;

    fn names(text: &str) -> Vec<(String, String)> {
        let table = pasted(text).expect("a table");
        people(&table, &[]).into_iter().map(|row| (row.name, row.says)).collect()
    }

    fn taken(text: &str) -> Vec<String> {
        names(text).into_iter().map(|(name, _)| name).filter(|name| !name.is_empty()).collect()
    }

    #[test]
    #[rustfmt::skip]
    fn lists_of_every_kind_give_first_names() {
        for text in [
            "Ada\nBo\nCy",
            "Ada Lark\nBo Reed\nCy Finch",
            "Lark, Ada\nReed, Bo\nFinch, Cy",
            "First name;Last name\nAda;Lark\nBo;Reed\nCy;Finch",
            "Last name,First name,Form\nLark,Ada,7b\nReed,Bo,7b\nFinch,Cy,7b",
            "No\tName\n1\tLark, Ada\n2\tReed, Bo\n3\tFinch, Cy",
            "Class 7b\nStudent\nAda Lark\nBo Reed\nCy Finch",
            "1;Ada;Lark\n2;Bo;Reed\n3;Cy;Finch",
        ] {
            assert_eq!(taken(text), ["Ada", "Bo", "Cy"], "{text}");
        }
        assert_eq!(taken("Anna Maria Lark\nJean-Luc Reed\nZoë O'Neill"), ["Anna Maria", "Jean-Luc", "Zoë"]);
        assert_eq!(taken("李\nМира"), ["李", "Мира"]);
    }

    #[test]
    fn two_of_one_name_are_told_apart() {
        let found = names("Ada Lark\nAda Moor\nAda Lark\n42\nBo");
        let name = |at: usize| found[at].0.as_str();
        assert_eq!(
            (name(0), name(1), name(2), name(3), name(4)),
            ("Ada", "Ada M.", "Ada L.", "", "Bo")
        );
        assert!(found[1].1.contains("Another Ada"));
        assert!(found[3].1.contains("does not look like a name"));
        let found = names("Ada\nAda");
        assert!(found[1].0.is_empty() && found[1].1.contains("Add a letter"));
        let table = pasted("Ada Moor").expect("a table");
        assert_eq!(people(&table, &["Ada".into()])[0].name, "Ada M.");
    }

    #[test]
    fn a_class_has_an_end() {
        let many: Vec<String> = (0..300u32)
            .map(|n| {
                let letter = |k: u32| char::from_u32(u32::from('a') + k % 26).expect("a letter");
                format!("X{}{}{}", letter(n), letter(n / 26), letter(n / 676))
            })
            .collect();
        assert_eq!(taken(&many.join("\n")).len(), MOST_STUDENTS);
        let long = "a".repeat(60);
        assert!(names(&long)[0].1.contains("too long"));
    }
}
