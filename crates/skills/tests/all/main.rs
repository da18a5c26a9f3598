//! The catalogue of skills, as one program: its workings, its worlds, its pictures and its typed tasks.

mod by_float;
mod catalogue;
mod kinds;
mod known;
mod pictured;
mod twisted;
mod typed;
mod workings;
mod worlds;
