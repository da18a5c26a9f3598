//! Every test in a browser, in one program, so that they run side by side, each with a server and a database of its own.

mod bench;
mod built;
mod class;
mod editing;
mod everybody;
mod field;
mod lesson;
mod live;
mod parts;
mod places;
mod second_look;
mod student;
mod teacher;
mod working;
