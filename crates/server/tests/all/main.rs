//! The API in front of a real database, as one program: it is built once, and its tests run side by side.

mod accounts;
mod attacked;
mod class;
mod classes;
mod common;
mod described;
mod failures;
mod guarded;
mod live;
mod planned;
mod roles;
mod taught;
