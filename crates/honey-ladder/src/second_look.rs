//! `honey-ladder second-look FILE...`: what is wrong with texts, or with lessons, in files.

use lesson::Lesson;
use second_look::{Kind, Spotted, look_over, second_look};
use serde::Serialize;
use std::io::{Read as _, Write as _};
use std::path::{Path, PathBuf};

/// Largest file that is read, in bytes.
const LARGEST: u64 = 8 << 20;

/// What is looked at.
#[derive(clap::Args)]
pub struct Options {
    /// Texts in CommonMark with mathematics between dollar signs, or lessons as JSON; `-` reads standard input.
    #[arg(required = true)]
    files: Vec<PathBuf>,
}

/// A finding as it is told.
#[derive(Debug, Serialize, PartialEq, Eq)]
struct Told {
    file: String,
    /// The line of a text; the slide of a lesson, 0 for its plan.
    line: usize,
    kind: Kind,
    says: String,
    #[serde(skip_serializing_if = "Option::is_none")]
    mend: Option<String>,
}

/// Tells every finding on standard output, a JSON line each, and says how many there are.
///
/// # Errors
/// One sentence that says what to do.
pub fn run(options: &Options) -> Result<usize, String> {
    let mut count = 0;
    let mut out = std::io::stdout().lock();
    for file in &options.files {
        for told in looked(&file.display().to_string(), &read(file)?) {
            let line = serde_json::to_string(&told).map_err(|error| error.to_string())?;
            writeln!(out, "{line}").map_err(|error| error.to_string())?;
            count += 1;
        }
    }
    Ok(count)
}

fn read(file: &Path) -> Result<String, String> {
    let shown = file.display();
    let mut bytes = Vec::new();
    let done = if file == Path::new("-") {
        std::io::stdin().take(LARGEST).read_to_end(&mut bytes)
    } else {
        std::fs::File::open(file).and_then(|file| file.take(LARGEST).read_to_end(&mut bytes))
    };
    done.map_err(|error| format!("{shown} cannot be read: {error}."))?;
    String::from_utf8(bytes)
        .map_err(|_| format!("{shown} is no text. Give a text file or a lesson."))
}

/// What is found in one file.
fn looked(file: &str, text: &str) -> Vec<Told> {
    let told = |line: usize, spotted: &Spotted| Told {
        file: file.to_owned(),
        line,
        kind: spotted.finding.kind,
        says: if spotted.finding.found.is_empty() {
            spotted.finding.says.clone()
        } else {
            format!("“{}”: {}", spotted.finding.found, spotted.finding.says)
        },
        mend: spotted.finding.mend.clone(),
    };
    if let Ok(lesson) = serde_json::from_str::<Lesson>(text) {
        let number =
            |id| lesson.slides.iter().position(|slide| slide.id == id).map_or(0, |at| at + 1);
        let open = second_look(&lesson).open;
        return open
            .iter()
            .map(|named| told(named.spotted.place.slide.map_or(0, number), &named.spotted))
            .collect();
    }
    look_over(text).iter().map(|spotted| told(spotted.place.line.unwrap_or(1), spotted)).collect()
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn a_text_is_told_line_by_line() {
        let told = looked("sheet.md", "All is well: 6 × 7 = 42.\n\nBut 6 × 8 = 49.\n");
        assert_eq!(
            serde_json::to_value(&told).expect("JSON"),
            serde_json::json!([{
                "file": "sheet.md", "line": 3, "kind": "false-equality",
                "says": "“6 × 8 = 49”: 6 × 8 is 48, not 49.", "mend": "6 × 8 = 48",
            }])
        );
    }

    #[test]
    fn a_lesson_is_told_slide_by_slide() {
        let strand = teaching::skill::Strand::Number;
        let mut lesson = Lesson::new("Products", 4, strand, 45).expect("fine");
        lesson.slides[0].notes = "Recall 7 × 8 = 54.".into();
        let told = looked("lesson.json", &serde_json::to_string(&lesson).expect("JSON"));
        assert_eq!(told.len(), 1);
        assert_eq!((told[0].line, told[0].kind), (1, Kind::FalseEquality));
    }
}
