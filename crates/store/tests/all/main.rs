//! What is kept in a real database, as one program: it is built once, and its tests run side by side, each in a database of
//! its own.

mod classes;
mod faults;
mod kept;
mod limits;
mod live;
mod shared;
mod started;
mod together;
