//! Every kind of sheet, one file each.

pub mod ladder;
pub mod working;
