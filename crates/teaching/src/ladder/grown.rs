//! The pictures of a working, line by line.

use crate::figure::Figure;
use crate::problem::Posed;
use crate::working::WorkingLine;

/// Puts the pictures of a working beside its lines: those that its skill drew, and a ratio table with its missing
/// number filled in where the working has found it.
pub(super) fn picture(
    posed: &Posed,
    method: &str,
    figure: Option<&Figure>,
    lines: &mut [WorkingLine],
) {
    for grown in posed.grown.iter().filter(|grown| grown.method == method) {
        if let Some(line) = lines.get_mut(grown.line) {
            line.figure = Some(grown.figure.clone());
        }
    }
    let Some(Figure::RatioTable { rows, columns }) = figure else { return };
    let found = lines.iter_mut().rfind(|line| !line.latex.is_empty() && line.role != "checks");
    let Some((line, (letter, value))) = found.and_then(|line| {
        let (letter, value) = line.math.split_once(" = ")?;
        let told = (letter.to_owned(), value.to_owned());
        Some((line, told))
    }) else {
        return;
    };
    let filled = |cell: &String| if *cell == letter { value.clone() } else { cell.clone() };
    let filled: Vec<[String; 2]> =
        columns.iter().map(|column| [filled(&column[0]), filled(&column[1])]).collect();
    if filled != *columns {
        line.figure = Some(Figure::RatioTable { rows: rows.clone(), columns: filled });
    }
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::ladder::{Ladder, LadderOrder};

    #[test]
    fn the_missing_number_of_a_ratio_table_is_filled_in_where_it_is_found() {
        let skills = vec!["ratio.missing-term".to_owned()];
        let order = LadderOrder { skills, climb: 6, seed: 2, ..LadderOrder::default() };
        for rung in Ladder::make(&order).expect("made").rungs {
            let Some(Figure::RatioTable { columns, .. }) = &rung.figure else { panic!("a table") };
            assert!(columns.iter().flatten().any(|cell| *cell == rung.unknown), "{columns:?}");
            let grown: Vec<&Figure> =
                rung.working.iter().filter_map(|line| line.figure.as_ref()).collect();
            let [Figure::RatioTable { columns, .. }] = grown[..] else { panic!("{grown:?}") };
            assert!(columns.iter().flatten().any(|cell| *cell == rung.answer.value), "{columns:?}");
            assert!(columns.iter().flatten().all(|cell| *cell != rung.unknown), "{columns:?}");
        }
    }
}
