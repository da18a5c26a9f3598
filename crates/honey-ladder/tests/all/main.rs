//! The program itself, started, asked and stopped.

mod command_line;
mod serving;
