//! A simulated class: students who join a live lesson, think, slip and answer at the speed of people. For demos, and, with a
//! wall that listens beside them, for measuring what a server bears.

mod load;
mod mind;
mod student;
mod wire;

use clap::Args;
use std::sync::Arc;
use std::time::Duration;
use student::{Habits, Student};
use tokio::task::JoinSet;
use wire::Site;

/// First names of the demo world; a larger class counts on.
const NAMES: &[&str] = &[
    "Ada", "Bo", "Cleo", "Dario", "Ebele", "Finn", "Gita", "Hugo", "Ines", "Jonas", "Kofi", "Lena",
    "Malik", "Nia", "Omar", "Petra", "Quin", "Rosa", "Sami", "Tess", "Umi", "Vera", "Wim", "Xenia",
    "Yara", "Zoe", "Anouk", "Bela", "Chidi", "Dora",
];

/// What the class is like.
#[derive(Args)]
pub struct Options {
    /// How many students.
    #[arg(long, default_value_t = 30, value_parser = clap::value_parser!(u16).range(1..=20_000))]
    students: u16,
    /// The code that stands on the wall. Several share the students.
    #[arg(long, required_unless_present = "load")]
    code: Vec<String>,
    /// Where Honey Ladder is.
    #[arg(long, default_value = "http://127.0.0.1:8080")]
    url: String,
    /// How long they stay, in seconds; until the lesson ends when absent.
    #[arg(long)]
    seconds: Option<u64>,
    /// The shortest and the longest time they think, in seconds.
    #[arg(long, default_values_t = [4, 12], num_args = 2)]
    think: Vec<u64>,
    /// How many of a hundred answers are slips.
    #[arg(long, default_value_t = 30, value_parser = clap::value_parser!(u8).range(0..=100))]
    slips: u8,
    /// Opens lessons as this demo teacher, asks, and measures the time from an answer to the wall: `name:password`.
    #[arg(long)]
    load: Option<String>,
}

/// Sends the class in.
///
/// # Errors
/// Nobody could come in, in one sentence.
pub fn run(options: &Options) -> Result<(), String> {
    let runtime = tokio::runtime::Runtime::new().map_err(|error| error.to_string())?;
    runtime.block_on(async {
        match &options.load {
            Some(who) => load::measure(options, who).await,
            None => attend(options).await,
        }
    })
}

impl Options {
    fn habits(&self) -> Habits {
        let (least, most) = (self.think[0], self.think[1].max(self.think[0]));
        Habits {
            think: Duration::from_secs(least)..=Duration::from_secs(most),
            slips: self.slips,
            stays: self.seconds.map(Duration::from_secs),
        }
    }
}

/// The name of the student with that number, from 0.
fn name(nth: usize) -> String {
    let round = nth / NAMES.len();
    let name = NAMES[nth % NAMES.len()];
    if round == 0 { name.to_owned() } else { format!("{name} {}", round + 1) }
}

async fn attend(options: &Options) -> Result<(), String> {
    let site = Arc::new(Site::at(&options.url)?);
    let mut all = JoinSet::new();
    for nth in 0..usize::from(options.students) {
        let code = options.code[nth % options.code.len()].clone();
        let name = name(nth / options.code.len());
        let (site, habits) = (Arc::clone(&site), options.habits());
        all.spawn(async move {
            // A class does not come in all at once.
            tokio::time::sleep(Duration::from_millis(
                150 * u64::try_from(nth).unwrap_or(0).min(60),
            ))
            .await;
            let joined = Student::join(Arc::clone(&site), &code, &name, habits.clone()).await;
            let mut student = match joined {
                Ok(student) => student,
                // Somebody of that name is in already.
                Err(_) => {
                    Student::join(site, &code, &format!("{name} {}", nth + 100), habits).await?
                }
            };
            student.attend().await
        });
    }
    let (mut gave, mut failed) = (0, Vec::new());
    while let Some(done) = all.join_next().await {
        match done.map_err(|error| error.to_string())? {
            Ok(answers) => gave += answers,
            Err(says) => failed.push(says),
        }
    }
    let students = usize::from(options.students);
    println!("{} students gave {gave} answers.", students - failed.len());
    match failed.first() {
        Some(says) if failed.len() == students => Err(says.clone()),
        Some(says) => {
            println!("{} could not stay: {says}", failed.len());
            Ok(())
        }
        None => Ok(()),
    }
}
