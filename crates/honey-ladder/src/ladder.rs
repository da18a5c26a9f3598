//! `honey-ladder ladder`: a ladder as JSON or PDF, or the list of skills.

use serde::Serialize;
use skills::SKILLS;
use skills::ladder::{Ladder, LadderOrder};
use std::io::Write;
use std::path::PathBuf;
use teaching::skill::{Stage, Strand};

/// How it is called.
pub const USAGE: &str = "honey-ladder ladder --skill ID[,ID...] --grip N --tilt N --climb N --seed N \
                         [--method ID] [--format json|pdf|key|full-key] [--out FILE]\n       \
                         honey-ladder ladder --list";

/// What to make.
#[derive(clap::Args)]
pub struct Options {
    /// List the skills instead, a JSON line each.
    #[arg(long, conflicts_with = "skill")]
    list: bool,
    /// Skills whose problems take turns.
    #[arg(long, value_delimiter = ',', required_unless_present = "list")]
    skill: Vec<String>,
    /// Rungs on Grip.
    #[arg(long, default_value_t = 0)]
    grip: usize,
    /// Rungs on Tilt.
    #[arg(long, default_value_t = 0)]
    tilt: usize,
    /// Rungs on Climb.
    #[arg(long, default_value_t = 0)]
    climb: usize,
    /// The same seed gives the same sheet; below 2^53.
    #[arg(long, default_value_t = 1)]
    seed: u64,
    /// The method of the key.
    #[arg(long)]
    method: Option<String>,
    /// What to write: everything as JSON, the sheet, the key, or the key with every working.
    #[arg(long, value_enum, default_value_t = Format::Json)]
    format: Format,
    /// Where to write it; standard output when absent.
    #[arg(long)]
    out: Option<PathBuf>,
}

#[derive(Debug, Clone, Copy, clap::ValueEnum)]
enum Format {
    Json,
    Pdf,
    Key,
    FullKey,
}

/// Why nothing was made.
pub enum Trouble {
    /// The call is wrong.
    WrongCall(String),
    /// The call is right, but it could not be done.
    Failed(String),
}

/// A skill as `--list` shows it.
#[derive(Serialize)]
struct Listed {
    id: &'static str,
    strand: Strand,
    grade: String,
    title: &'static str,
    stages: [&'static str; 3],
    methods: Vec<&'static str>,
    slips: Vec<&'static str>,
}

/// Makes what was asked for.
///
/// # Errors
/// [`Trouble`] with one sentence.
pub fn run(options: &Options) -> Result<(), Trouble> {
    let bytes = if options.list { list()? } else { make(options)? };
    let done = match &options.out {
        Some(path) => std::fs::write(path, bytes)
            .map_err(|error| format!("{} cannot be written: {error}.", path.display())),
        None => std::io::stdout().write_all(&bytes).map_err(|error| error.to_string()),
    };
    done.map_err(Trouble::Failed)
}

fn failed(error: &dyn std::fmt::Display) -> Trouble {
    Trouble::Failed(error.to_string())
}

fn list() -> Result<Vec<u8>, Trouble> {
    let mut lines = Vec::new();
    for skill in SKILLS {
        let card = skill.card();
        let listed = Listed {
            id: card.id,
            strand: card.strand,
            grade: format!("{}-{}", card.grades.0, card.grades.1),
            title: card.title,
            stages: Stage::ALL.map(Stage::name),
            methods: card.methods.iter().map(|method| method.id.as_str()).collect(),
            slips: skill.slips().iter().map(|slip| slip.id().as_str()).collect(),
        };
        serde_json::to_writer(&mut lines, &listed).map_err(|error| failed(&error))?;
        lines.push(b'\n');
    }
    Ok(lines)
}

fn make(options: &Options) -> Result<Vec<u8>, Trouble> {
    let method = match options.method.as_deref() {
        Some(id) => Some(
            skills::ids::method_named(id)
                .ok_or_else(|| Trouble::WrongCall(format!("There is no method called “{id}”.")))?,
        ),
        None => None,
    };
    let order = LadderOrder {
        skills: options.skill.clone(),
        grip: options.grip,
        tilt: options.tilt,
        climb: options.climb,
        seed: options.seed,
        method,
        ..LadderOrder::default()
    };
    let ladder = Ladder::make(&order).map_err(|why| Trouble::WrongCall(why.says()))?;
    let title = title(&options.skill);
    let pdf = |made: Result<paper::Pdf, paper::PaperError>| {
        made.map(|pdf| pdf.bytes).map_err(|error| failed(&error))
    };
    match options.format {
        Format::Json => {
            let mut text = serde_json::to_vec(&ladder).map_err(|error| failed(&error))?;
            text.push(b'\n');
            Ok(text)
        }
        Format::Pdf => pdf(paper::sheets::ladder::sheet(&title, &ladder)),
        Format::Key => pdf(paper::sheets::ladder::key(&title, &ladder, false)),
        Format::FullKey => pdf(paper::sheets::ladder::key(&title, &ladder, true)),
    }
}

fn title(ids: &[String]) -> String {
    let titles: Vec<&str> =
        ids.iter().filter_map(|id| skills::find(id)).map(|skill| skill.card().title).collect();
    titles.join("; ")
}
