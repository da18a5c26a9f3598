//! Letters that are too small, or stand out too little, by the styles that a text gives them.

use super::{Finding, Kind};

/// Least contrast of a text with what lies behind it (WCAG 2.2, 1.4.3).
const LEAST_CONTRAST: f64 = 4.5;
/// Smallest letters that the back row reads on a slide, in CSS pixels.
const SMALLEST_PX: f64 = 24.0;

/// Colours by their CSS names.
const NAMED: &[(&str, u32)] = &[
    ("white", 0xff_ffff),
    ("black", 0x00_0000),
    ("yellow", 0xff_ff00),
    ("silver", 0xc0_c0c0),
    ("gray", 0x80_8080),
    ("grey", 0x80_8080),
    ("lightgray", 0xd3_d3d3),
    ("lightgrey", 0xd3_d3d3),
    ("darkgray", 0xa9_a9a9),
    ("darkgrey", 0xa9_a9a9),
    ("lime", 0x00_ff00),
    ("cyan", 0x00_ffff),
    ("aqua", 0x00_ffff),
    ("pink", 0xff_c0cb),
    ("orange", 0xff_a500),
    ("gold", 0xff_d700),
    ("red", 0xff_0000),
    ("blue", 0x00_00ff),
    ("navy", 0x00_0080),
    ("green", 0x00_8000),
    ("lightyellow", 0xff_ffe0),
    ("lightblue", 0xad_d8e6),
    ("lightgreen", 0x90_ee90),
    ("beige", 0xf5_f5dc),
    ("purple", 0x80_0080),
    ("maroon", 0x80_0000),
    ("brown", 0xa5_2a2a),
];

/// What is wrong with the styles of a piece of HTML.
pub(super) fn look(html: &str) -> Vec<Finding> {
    let mut found = Vec::new();
    for style in attribute(html, "style") {
        let of = |name: &str| {
            style.split(';').find_map(|rule| {
                let (key, value) = rule.split_once(':')?;
                (key.trim().eq_ignore_ascii_case(name)).then(|| value.trim().to_lowercase())
            })
        };
        let front = of("color").and_then(|value| colour(&value));
        let back =
            of("background-color").or_else(|| of("background")).and_then(|value| colour(&value));
        if front.is_some() || back.is_some() {
            let ratio = contrast(front.unwrap_or([0; 3]), back.unwrap_or([255; 3]));
            if ratio < LEAST_CONTRAST {
                let says = format!(
                    "These letters stand out too little: {ratio:.1} to 1, where {LEAST_CONTRAST} to 1 is needed."
                );
                found.push(Finding::new(Kind::LowContrast, style, says));
            }
        }
        if let Some(size) = of("font-size").and_then(|value| pixels(&value))
            && size < SMALLEST_PX
        {
            let says = format!(
                "These letters are too small for the back row: {size:.0} pixels, where {SMALLEST_PX:.0} are needed."
            );
            found.push(Finding::new(Kind::SmallText, style, says));
        }
    }
    for old in attribute(html, "color") {
        let ratio = colour(&old.to_lowercase()).map_or(21.0, |front| contrast(front, [255; 3]));
        if ratio < LEAST_CONTRAST {
            let says = format!(
                "These letters stand out too little: {ratio:.1} to 1, where {LEAST_CONTRAST} to 1 is needed."
            );
            found.push(Finding::new(Kind::LowContrast, old, says));
        }
    }
    if html.trim_start().to_lowercase().starts_with("<small") {
        found.push(Finding::new(
            Kind::SmallText,
            html.trim(),
            "Small print does not reach the back row.",
        ));
    }
    found
}

/// The values of an attribute in a piece of HTML.
pub(super) fn attribute<'a>(html: &'a str, name: &str) -> Vec<&'a str> {
    let mut found = Vec::new();
    for (at, _) in html.match_indices(name) {
        let before = html[..at].chars().next_back();
        let after = html[at + name.len()..].trim_start();
        let Some(value) = after.strip_prefix('=').map(str::trim_start) else { continue };
        let Some(quote) = value.chars().next().filter(|sign| "\"'".contains(*sign)) else {
            continue;
        };
        if !before.is_some_and(char::is_whitespace) {
            continue;
        }
        found.extend(value[1..].split(quote).next());
    }
    found
}

fn colour(value: &str) -> Option<[u8; 3]> {
    let value = value.trim().trim_end_matches("!important").trim();
    let number = if let Some(hex) = value.strip_prefix('#') {
        match hex.len() {
            3 => {
                let doubled: String = hex.chars().flat_map(|sign| [sign, sign]).collect();
                u32::from_str_radix(&doubled, 16).ok()?
            }
            6 => u32::from_str_radix(hex, 16).ok()?,
            _ => return None,
        }
    } else if let Some(parts) = value.strip_prefix("rgb(").and_then(|rest| rest.strip_suffix(')')) {
        let all: Vec<u8> =
            parts.split([',', ' ']).filter_map(|part| part.trim().parse().ok()).collect();
        return all.try_into().ok();
    } else {
        NAMED.iter().find(|(name, _)| *name == value)?.1
    };
    let [_, r, g, b] = number.to_be_bytes();
    Some([r, g, b])
}

/// A size in CSS pixels.
fn pixels(value: &str) -> Option<f64> {
    let (number, by) = [("px", 1.0), ("pt", 4.0 / 3.0), ("rem", 16.0), ("em", 16.0)]
        .into_iter()
        .find_map(|(unit, by)| value.strip_suffix(unit).map(|number| (number, by)))?;
    number.trim().parse::<f64>().ok().map(|number| number * by)
}

/// The contrast of two colours (WCAG 2.2: relative luminance).
fn contrast(a: [u8; 3], b: [u8; 3]) -> f64 {
    let light = |colour: [u8; 3]| {
        let part = |value: u8| {
            let value = f64::from(value) / 255.0;
            if value <= 0.03928 { value / 12.92 } else { ((value + 0.055) / 1.055).powf(2.4) }
        };
        0.2126 * part(colour[0]) + 0.7152 * part(colour[1]) + 0.0722 * part(colour[2])
    };
    let (a, b) = (light(a), light(b));
    (a.max(b) + 0.05) / (a.min(b) + 0.05)
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    #[rustfmt::skip]
    fn faint_and_small_letters_are_found() {
        for (html, kinds) in [
            ("<span style=\"color: #ccc\">", vec![Kind::LowContrast]),
            ("<span style=\"color: yellow; background: white\">", vec![Kind::LowContrast]),
            ("<span style=\"color: #222\">", vec![]),
            ("<span style='color: white; background-color: navy'>", vec![]),
            ("<p style=\"font-size: 9pt\">", vec![Kind::SmallText]),
            ("<p style=\"font-size: 30px\">", vec![]),
            ("<font color=\"silver\">", vec![Kind::LowContrast]),
        ] {
            let told: Vec<Kind> = look(html).into_iter().map(|finding| finding.kind).collect();
            assert_eq!(told, kinds, "{html}");
        }
    }
}
