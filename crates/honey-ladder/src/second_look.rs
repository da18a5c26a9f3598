//! `honey-ladder second-look FILE`: what is wrong with a text, or with a lesson in a file.

use std::fmt::Write as _;
use std::io::Read as _;
use std::path::{Path, PathBuf};
use teaching::Lesson;
use teaching::second_look::{Finding, look_at_text, second_look};

/// Largest file that is read, in bytes.
const LARGEST: u64 = 8 << 20;

/// What is looked at.
#[derive(clap::Args)]
pub struct Options {
    /// A text, or a lesson as JSON; `-` reads standard input.
    file: PathBuf,
}

/// Tells every finding on standard output, one a line, and says how many there are.
///
/// # Errors
/// One sentence that says what to do.
pub fn run(options: &Options) -> Result<usize, String> {
    let text = read(&options.file)?;
    let (told, count) = looked(&text);
    print!("{told}");
    Ok(count)
}

fn read(file: &Path) -> Result<String, String> {
    let shown = file.display();
    let mut text = String::new();
    let done = if file == Path::new("-") {
        std::io::stdin().take(LARGEST).read_to_string(&mut text)
    } else {
        std::fs::File::open(file).and_then(|file| file.take(LARGEST).read_to_string(&mut text))
    };
    done.map(|_| text).map_err(|error| format!("{shown} cannot be read: {error}."))
}

/// What is found, to be printed, and how much it is.
fn looked(text: &str) -> (String, usize) {
    let mut told = String::new();
    // Writing into a String cannot fail.
    let mut tell = |place: &str, finding: &Finding| {
        let mend = finding.mend.as_ref().map(|mend| format!(" Mend: {mend}"));
        let found = if finding.found.is_empty() {
            String::new()
        } else {
            format!("“{}”: ", finding.found)
        };
        let _ = writeln!(told, "{place}: {found}{}{}", finding.says, mend.unwrap_or_default());
    };
    let count = if let Ok(lesson) = serde_json::from_str::<Lesson>(text) {
        let open = second_look(&lesson).open;
        for named in &open {
            let place = named.spotted.place;
            let slide =
                place.slide.and_then(|id| lesson.slides.iter().position(|slide| slide.id == id));
            let place = slide.map_or_else(|| "plan".to_owned(), |at| format!("slide {}", at + 1));
            tell(&place, &named.spotted.finding);
        }
        open.len()
    } else {
        let mut count = 0;
        for (line, number) in text.lines().zip(1..) {
            for finding in look_at_text(line) {
                tell(&format!("line {number}"), &finding);
                count += 1;
            }
        }
        count
    };
    (told, count)
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn a_text_is_told_line_by_line() {
        let (told, count) = looked("All is well: 6 × 7 = 42.\nBut 6 × 8 = 49.\n");
        assert_eq!(count, 1);
        assert_eq!(told, "line 2: “6 × 8 = 49”: 6 × 8 is 48, not 49. Mend: 6 × 8 = 48\n");
    }

    #[test]
    fn a_lesson_is_told_slide_by_slide() {
        let strand = teaching::skill::Strand::Number;
        let mut lesson = Lesson::new("Products", 4, strand, 45).expect("fine");
        lesson.slides[0].notes = "Recall 7 × 8 = 54.".into();
        let (told, count) = looked(&serde_json::to_string(&lesson).expect("JSON"));
        assert_eq!(count, 1);
        assert!(told.starts_with("slide 1: “7 × 8 = 54”"), "{told}");
    }
}
