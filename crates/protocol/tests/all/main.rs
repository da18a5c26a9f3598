//! The questions and answers of the command line, as one program: tables of verdicts, problems and boards, and what was read.

#[path = "../problems/asked.rs"]
mod asked;
#[path = "../blessed/mod.rs"]
mod blessed;
mod boards;
mod corpus;
mod problems;
mod school;
mod specification;
mod tables;
mod verdicts;
