//! Images from files, made safe: PNG and JPEG without what tells where and when they were taken; SVG written anew, with
//! nothing in it but shapes, words and colours.

mod photo;
mod vector;

/// Largest file, in bytes.
pub const LARGEST: usize = 2 << 20;
/// Widest and highest image, in pixels.
const LONGEST: usize = 12_000;
/// Most pixels of an image: each takes four bytes wherever it is shown.
const MOST_PIXELS: usize = 24_000_000;

/// What kind of image it is.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub enum ImageKind {
    /// PNG.
    Png,
    /// JPEG.
    Jpeg,
    /// SVG.
    Svg,
}

impl ImageKind {
    /// Its short name.
    #[must_use]
    pub const fn name(self) -> &'static str {
        match self {
            Self::Png => "png",
            Self::Jpeg => "jpeg",
            Self::Svg => "svg",
        }
    }

    /// The media type of an image with that short name.
    #[must_use]
    pub fn media_type(name: &str) -> &'static str {
        match name {
            "png" => "image/png",
            "jpeg" => "image/jpeg",
            _ => "image/svg+xml",
        }
    }
}

/// An image as it can be kept: what it is, and its bytes.
///
/// # Errors
/// One sentence that says what to do.
pub fn taken_in(bytes: &[u8]) -> Result<(ImageKind, Vec<u8>), String> {
    if bytes.len() > LARGEST {
        return Err("This image is larger than 2 MB. Make it smaller first.".into());
    }
    let kind = if bytes.starts_with(b"\x89PNG\r\n\x1a\n") {
        ImageKind::Png
    } else if bytes.starts_with(b"\xff\xd8\xff") {
        ImageKind::Jpeg
    } else {
        let text = std::str::from_utf8(bytes)
            .map_err(|_| "Choose a PNG, a JPEG or an SVG file.".to_owned())?;
        return vector::safe(text).map(|svg| (ImageKind::Svg, svg.into_bytes()));
    };
    let damaged = || "This file is damaged. Save the image again, as PNG or JPEG.".to_owned();
    let size = imagesize::blob_size(bytes).map_err(|_| damaged())?;
    let pixels = size.width.saturating_mul(size.height);
    if size.width > LONGEST || size.height > LONGEST || pixels > MOST_PIXELS {
        return Err("This image has more than 24 million pixels. Make it smaller first.".into());
    }
    let bare =
        if kind == ImageKind::Png { photo::bare_png(bytes) } else { photo::bare_jpeg(bytes) };
    bare.map(|bytes| (kind, bytes)).ok_or_else(damaged)
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    #[rustfmt::skip]
    fn what_is_no_image_says_so() {
        for bytes in [
            &b"hello"[..], b"", b"\x89PNG\r\n\x1a\n", b"\xff\xd8\xff\xe0", b"<html></html>", b"\xfe\xff\x00",
            b"<!DOCTYPE svg [<!ENTITY a \"aaaa\"><!ENTITY b \"&a;&a;\">]><svg>&b;</svg>",
        ] { assert!(taken_in(bytes).is_err()); }
        assert!(taken_in(&vec![b' '; LARGEST + 1]).is_err());
    }
}
