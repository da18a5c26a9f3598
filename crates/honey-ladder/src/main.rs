//! The program: serves Honey Ladder, loads the demo world, and answers on the command line.
//!
//! What belongs here: arguments, standard input and output, the demo world. What never does: rules of
//! the job (they are in `teaching`), routes (they are in `server`).

mod class;
mod demo;
mod ladder;
mod lines;
mod second_look;
mod serve;
mod teacher;

use clap::{Parser, Subcommand};
use protocol::check::{self, CheckAnswer};
use protocol::desk::{self, DeskAnswer};
use protocol::solve::{self, SolveAnswer};
use serde::Serialize;
use serde_json::Value;
use std::process::ExitCode;

/// Proofs make many small values; this one hands out memory for them in a third of the time.
#[global_allocator]
static ALLOCATOR: mimalloc::MiMalloc = mimalloc::MiMalloc;

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
    /// Solves: one JSON task a line on standard input, one JSON answer with its working a line on standard output.
    Solve,
    /// Judges whole solutions: a rung and its lines as JSON on standard input, what the Step Desk says on standard output.
    Desk,
    /// Looks a text or a lesson over, and tells what is wrong in it.
    SecondLook(second_look::Options),
    /// Makes a ladder, or lists the skills.
    Ladder(ladder::Options),
    /// Sends a simulated class into a live lesson.
    Class(class::Options),
    /// Makes an account, or sets its password anew.
    Teacher(teacher::Options),
}

fn main() -> ExitCode {
    let done = match Arguments::parse().command {
        Command::Serve(options) => serve::run(&options),
        Command::Teacher(options) => teacher::run(&options),
        Command::Class(options) => class::run(&options),
        Command::Check => {
            each(check::answer_line, |says| CheckAnswer::unreadable(Value::Null, says))
        }
        Command::Solve => {
            each(solve::answer_line, |says| SolveAnswer::unreadable(Value::Null, says))
        }
        Command::Desk => each(desk::answer_line, |says| DeskAnswer::unreadable(Value::Null, says)),
        Command::SecondLook(options) => match second_look::run(&options) {
            // As of other programs that look for faults: none found is a success.
            Ok(0) => Ok(()),
            Ok(_) => return ExitCode::FAILURE,
            Err(says) => {
                eprintln!("honey-ladder: {says}");
                return ExitCode::from(2);
            }
        },
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

/// Answers standard input line by line on standard output.
fn each<T: Serialize>(answer: impl Fn(&str) -> T, unfit: impl Fn(&str) -> T) -> Result<(), String> {
    lines::answered(std::io::stdin().lock(), std::io::stdout().lock(), answer, unfit)
        .map_err(|error| error.to_string())
}
