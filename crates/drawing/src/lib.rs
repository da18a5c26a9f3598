//! Turns a figure's numbers into one scene: shapes and labels with anchors, laid out once. The web
//! shows a scene as SVG with typeset labels, paper draws the same scene with Typst, and it can stand
//! alone as an SVG file.
//!
//! What belongs here: layout, and the description of a picture for those who cannot see it. What never
//! does: the numbers themselves (their types live in `teaching`), HTTP, SQL, fonts.

pub mod image;
pub mod pictures;
mod qr;
pub mod scene;
pub mod svg;

pub use pictures::draw;
pub use qr::qr;
pub use scene::{Anchor, Label, Scene, Shape, Tone};
