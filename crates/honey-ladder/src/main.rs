//! The program: serves Honey Ladder, loads the demo world, and answers on the command line.
//!
//! What belongs here: arguments, standard input and output, the demo world. What never does: rules of
//! the job (they are in `teaching`), routes (they are in `server`).

mod check;
mod demo;
mod ladder;
mod lines;
mod serve;

use clap::{Parser, Subcommand};
use std::process::ExitCode;

/// Lessons of worked examples, practice that climbs, and lines that are proved.
#[derive(Parser)]
#[command(name = "honey-ladder", version, max_term_width = 100)]
struct Arguments {
    #[command(subcommand)]
    command: Command,
}

#[derive(Subcommand)]
enum Command {
    /// Serves the web application.
    Serve(serve::Options),
    /// Judges lines: one JSON question a line on standard input, one JSON answer a line on standard output.
    Check,
    /// Makes a ladder, or lists the skills.
    Ladder(ladder::Options),
}

fn main() -> ExitCode {
    let done = match Arguments::parse().command {
        Command::Serve(options) => serve::run(&options),
        Command::Check => check::run(std::io::stdin().lock(), std::io::stdout().lock())
            .map_err(|error| error.to_string()),
        Command::Ladder(options) => match ladder::run(&options) {
            Err(ladder::Trouble::WrongCall(says)) => {
                eprintln!("honey-ladder: {says}\n\nUsage: {}", ladder::USAGE);
                return ExitCode::from(2);
            }
            Err(ladder::Trouble::Failed(says)) => Err(says),
            Ok(()) => Ok(()),
        },
    };
    match done {
        Ok(()) => ExitCode::SUCCESS,
        Err(says) => {
            eprintln!("honey-ladder: {says}");
            ExitCode::FAILURE
        }
    }
}
