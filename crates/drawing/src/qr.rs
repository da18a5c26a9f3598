//! An address as a square of dark and light cells, for a camera.

use qrcode::render::svg::Color;
use qrcode::{EcLevel, QrCode};

/// The longest text that is drawn, in bytes: an address, with room to spare.
const LONGEST: usize = 300;
/// The least width of the picture, in pixels of the screen; on paper it is as large as its place.
const WIDTH: u32 = 160;

/// A text as a QR code, as an SVG picture with its quiet edge. A quarter of its cells may be soiled, and it is still read.
/// None for a text that is too long.
#[must_use]
pub fn qr(text: &str) -> Option<String> {
    if text.len() > LONGEST {
        return None;
    }
    let code = QrCode::with_error_correction_level(text, EcLevel::Q).ok()?;
    let (dark, light) = (Color("#000"), Color("#fff"));
    let mut svg = code.render::<Color<'_>>();
    Some(svg.min_dimensions(WIDTH, WIDTH).dark_color(dark).light_color(light).build())
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn an_address_is_drawn_and_an_essay_is_not() {
        let drawn = qr("https://larkmoor.example/class/abc#k3m9p").expect("drawn");
        assert!(drawn.contains("<svg") && drawn.contains("#000") && drawn.contains("#fff"));
        // What is drawn depends on what it says, and on nothing else.
        assert_eq!(qr("https://larkmoor.example/class/abc#k3m9p"), Some(drawn.clone()));
        assert_ne!(qr("https://larkmoor.example/class/abc#k3m9q"), Some(drawn));
        assert_eq!(qr(&"x".repeat(301)), None);
        assert!(qr(&"x".repeat(300)).is_some());
    }
}
