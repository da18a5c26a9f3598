//! Figures drawn, as one program: as they come, and at their extremes.

mod counted;
mod extremes;
mod hostile;
mod kinds;
mod scenes;
