//! Images from files, made safe: PNG and JPEG as they are, when they are what they say; SVG written anew, with
//! nothing in it but shapes, words and colours.

use roxmltree::{Document, Node};
use std::fmt::Write as _;

/// Largest file, in bytes.
pub const LARGEST: usize = 2 << 20;
/// Widest and highest image, in pixels.
const MOST_PIXELS: usize = 12_000;
/// Most elements of an SVG.
const MOST_NODES: usize = 20_000;
/// Deepest nesting of an SVG.
const DEEPEST: usize = 60;

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

/// What can stand in an SVG. What scripts, links, styles or fetches is none of it.
const ELEMENTS: &[&str] = &[
    "svg",
    "g",
    "path",
    "rect",
    "circle",
    "ellipse",
    "line",
    "polyline",
    "polygon",
    "text",
    "tspan",
    "title",
    "desc",
    "defs",
    "linearGradient",
    "radialGradient",
    "stop",
    "clipPath",
    "mask",
    "pattern",
    "marker",
    "use",
    "symbol",
];

/// What can be said of an element.
const ATTRIBUTES: &[&str] = &[
    "id",
    "d",
    "points",
    "x",
    "y",
    "x1",
    "y1",
    "x2",
    "y2",
    "cx",
    "cy",
    "r",
    "rx",
    "ry",
    "fx",
    "fy",
    "dx",
    "dy",
    "width",
    "height",
    "viewBox",
    "preserveAspectRatio",
    "transform",
    "fill",
    "fill-rule",
    "fill-opacity",
    "stroke",
    "stroke-width",
    "stroke-linecap",
    "stroke-linejoin",
    "stroke-miterlimit",
    "stroke-dasharray",
    "stroke-dashoffset",
    "stroke-opacity",
    "opacity",
    "color",
    "font-family",
    "font-size",
    "font-style",
    "font-weight",
    "text-anchor",
    "dominant-baseline",
    "letter-spacing",
    "offset",
    "stop-color",
    "stop-opacity",
    "gradientUnits",
    "gradientTransform",
    "spreadMethod",
    "clip-path",
    "clip-rule",
    "clipPathUnits",
    "mask",
    "maskUnits",
    "patternUnits",
    "patternTransform",
    "patternContentUnits",
    "marker-start",
    "marker-mid",
    "marker-end",
    "markerWidth",
    "markerHeight",
    "markerUnits",
    "refX",
    "refY",
    "orient",
    "display",
    "visibility",
    "rotate",
    "textLength",
    "lengthAdjust",
    "vector-effect",
    "paint-order",
];

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
        return safe_svg(text).map(|svg| (ImageKind::Svg, svg.into_bytes()));
    };
    let size = imagesize::blob_size(bytes)
        .map_err(|_| "This file is damaged. Save the image again, as PNG or JPEG.".to_owned())?;
    if size.width > MOST_PIXELS || size.height > MOST_PIXELS {
        return Err(
            "This image is wider or higher than 12,000 pixels. Make it smaller first.".into()
        );
    }
    Ok((kind, bytes.to_vec()))
}

/// An SVG written anew with nothing but what is known to be harmless.
fn safe_svg(text: &str) -> Result<String, String> {
    let says = || "Choose a PNG, a JPEG or an SVG file. This one cannot be read.".to_owned();
    // Document types, and with them entities that grow without end, are refused by the reader.
    let document = Document::parse(text).map_err(|_| says())?;
    let root = document.root_element();
    if root.tag_name().name() != "svg" {
        return Err(says());
    }
    if document.descendants().count() > MOST_NODES {
        return Err("This drawing has too many parts. Save it as PNG.".into());
    }
    let mut out = String::with_capacity(text.len());
    write(root, &mut out, 0);
    Ok(out)
}

fn write(node: Node, out: &mut String, depth: usize) {
    if node.is_text() {
        out.push_str(&escaped(node.text().unwrap_or_default()));
        return;
    }
    let name = node.tag_name().name();
    if !node.is_element() || !ELEMENTS.contains(&name) || depth > DEEPEST {
        return;
    }
    // Writing into a String cannot fail.
    let _ = write!(out, "<{name}");
    if depth == 0 {
        out.push_str(" xmlns=\"http://www.w3.org/2000/svg\"");
    }
    for attribute in node.attributes() {
        let value = attribute.value();
        match attribute.name() {
            // What it refers to stands in the same drawing.
            "href" if name == "use" && value.starts_with('#') => put("href", value, out),
            "style" => {
                for (key, value) in value.split(';').filter_map(|rule| rule.split_once(':')) {
                    allowed(key.trim(), value.trim(), out);
                }
            }
            key => allowed(key, value, out),
        }
    }
    out.push('>');
    for child in node.children() {
        write(child, out, depth + 1);
    }
    let _ = write!(out, "</{name}>");
}

/// Writes an attribute that may stand there.
fn allowed(key: &str, value: &str, out: &mut String) {
    let refers_out = value
        .to_ascii_lowercase()
        .match_indices("url(")
        .any(|(at, _)| !value[at + 4..].trim_start_matches([' ', '"', '\'']).starts_with('#'));
    if ATTRIBUTES.contains(&key) && !refers_out {
        put(key, value, out);
    }
}

fn put(key: &str, value: &str, out: &mut String) {
    let _ = write!(out, " {key}=\"{}\"", escaped(value));
}

fn escaped(text: &str) -> String {
    text.replace('&', "&amp;").replace('<', "&lt;").replace('>', "&gt;").replace('"', "&quot;")
}

#[cfg(test)]
mod tests {
    use super::*;

    fn svg(inside: &str) -> String {
        let text =
            format!("<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 9 9\">{inside}</svg>");
        let (kind, bytes) = taken_in(text.as_bytes()).expect("an image");
        assert_eq!(kind, ImageKind::Svg);
        String::from_utf8(bytes).expect("text")
    }

    #[test]
    fn a_drawing_keeps_its_shapes_and_words() {
        let kept = svg("<g fill=\"red\"><path d=\"M0 0L9 9\"/><text x=\"1\">a &lt; b</text></g>");
        assert!(
            kept.contains(
                "<g fill=\"red\"><path d=\"M0 0L9 9\"></path><text x=\"1\">a &lt; b</text></g>"
            ),
            "{kept}"
        );
    }

    #[test]
    #[rustfmt::skip]
    fn what_could_do_harm_is_left_out() {
        for inside in [
            "<script>alert(1)</script>", "<rect onload=\"alert(1)\"/>", "<foreignObject><p>x</p></foreignObject>",
            "<image href=\"https://elsewhere.example/a.png\"/>", "<use href=\"https://elsewhere.example/a.svg#b\"/>",
            "<rect fill=\"url(https://elsewhere.example/a.svg#b)\"/>", "<rect style=\"fill: URL( 'https://elsewhere.example' )\"/>",
            "<a href=\"javascript:alert(1)\"><rect/></a>", "<style>@import 'https://elsewhere.example'</style>",
            "<rect fill=\"İİİİ url(x)elsewhere\"/>", "<animate attributeName=\"href\" to=\"javascript:alert(1)\"/>",
        ] {
            let kept = svg(inside).to_lowercase();
            for bad in ["alert", "elsewhere", "script", "onload", "foreign"] {
                assert!(!kept.contains(bad), "{inside} became {kept}");
            }
        }
    }

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
