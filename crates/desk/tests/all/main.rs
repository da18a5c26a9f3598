//! The Step Desk, as one program: what is answered, what is read, and what a student meets.

mod answer_places;
mod as_they_write;
mod asked_in_words;
mod asked_solutions;
mod class_writes;
mod desk_answers;
mod desks;
mod keeps_the_answer;
mod known;
mod solutions;
mod solutions_table;
mod unreadable;
