//! SVG, written anew: nothing in it but shapes, words and colours, and no more of them than are drawn in no time.

use roxmltree::{Document, Node, NodeId};
use std::collections::HashMap;
use std::fmt::Write as _;

/// Most elements, those that are drawn again by reference counted each time.
const MOST_NODES: usize = 20_000;
/// Deepest nesting.
const DEEPEST: usize = 60;
/// Most attributes of one element.
const MOST_ATTRIBUTES: usize = 120;

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

/// Functions that a value may call; an address in the drawing itself besides.
const FUNCTIONS: &[&str] =
    &["rgb", "rgba", "hsl", "hsla", "matrix", "translate", "scale", "rotate", "skewx", "skewy"];

/// An SVG written anew with nothing but what is known to be harmless.
///
/// # Errors
/// One sentence that says what to do.
pub(super) fn safe(text: &str) -> Result<String, String> {
    let says = || "Choose a PNG, a JPEG or an SVG file. This one cannot be read.".to_owned();
    let too_much = || "This drawing has too many parts. Save it as PNG.".to_owned();
    // The reader compares the attributes of an element with each other.
    if text.split('<').any(|tag| tag.matches('=').count() > MOST_ATTRIBUTES && has_room(tag)) {
        return Err(too_much());
    }
    // Document types, and with them entities that grow without end, are refused by the reader.
    let document = Document::parse(text).map_err(|_| says())?;
    let root = document.root_element();
    if root.tag_name().name() != "svg" {
        return Err(says());
    }
    if document.descendants().count() > MOST_NODES {
        return Err(too_much());
    }
    let by_id = document.descendants().filter_map(|node| Some((node.attribute("id")?, node)));
    let mut drawn = Drawn { by_id: by_id.collect(), known: HashMap::new() };
    if drawn.count(root, 0).is_none_or(|count| count > MOST_NODES) {
        return Err(too_much());
    }
    let mut out = String::with_capacity(text.len());
    write(root, &mut out, 0);
    Ok(out)
}

/// Whether so many signs of equality stand in the tag itself.
fn has_room(tag: &str) -> bool {
    tag.split('>').next().is_some_and(|tag| tag.matches('=').count() > MOST_ATTRIBUTES)
}

/// Counts what is drawn: what is referred to is drawn once more at each reference.
struct Drawn<'a, 'input> {
    by_id: HashMap<&'a str, Node<'a, 'input>>,
    /// None while it is being counted: what refers to itself has no end.
    known: HashMap<NodeId, Option<usize>>,
}

impl<'a, 'input> Drawn<'a, 'input> {
    fn count(&mut self, node: Node<'a, 'input>, depth: usize) -> Option<usize> {
        if !node.is_element() || depth > DEEPEST {
            return Some(0);
        }
        if let Some(known) = self.known.get(&node.id()) {
            return *known;
        }
        self.known.insert(node.id(), None);
        let mut all = 1_usize;
        for child in node.children() {
            all = all.saturating_add(self.count(child, depth + 1)?);
        }
        let named: Vec<Node> = node
            .attributes()
            .flat_map(|attribute| references(attribute.value()))
            .filter_map(|id| self.by_id.get(id).copied())
            .collect();
        for other in named {
            all = all.saturating_add(self.count(other, depth + 1)?);
        }
        self.known.insert(node.id(), Some(all));
        Some(all)
    }
}

/// The ids that a value refers to.
fn references(value: &str) -> impl Iterator<Item = &str> {
    value.split('#').skip(1).filter_map(|behind| behind.split([')', '"', '\'', ' ', ';']).next())
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
    for (key, value) in kept(node) {
        let _ = write!(out, " {key}=\"{}\"", escaped(value));
    }
    out.push('>');
    for child in node.children() {
        write(child, out, depth + 1);
    }
    let _ = write!(out, "</{name}>");
}

/// The attributes that may stay, each once; what its style says goes before what stands beside it.
fn kept<'a>(node: Node<'a, '_>) -> Vec<(&'a str, &'a str)> {
    let mut kept: Vec<(&str, &str)> = Vec::new();
    let mut keep = |key, value| {
        if !kept.iter().any(|(known, _)| *known == key) {
            kept.push((key, value));
        }
    };
    let rules = node.attribute("style").unwrap_or_default().split(';');
    for (key, value) in rules.filter_map(|rule| rule.split_once(':')) {
        let (key, value) = (key.trim(), value.trim());
        if ATTRIBUTES.contains(&key) && is_harmless(value) {
            keep(key, value);
        }
    }
    for attribute in node.attributes() {
        let (key, value) = (attribute.name(), attribute.value());
        // What it refers to stands in the same drawing.
        let may = match key {
            "href" => node.tag_name().name() == "use" && value.starts_with('#'),
            _ => ATTRIBUTES.contains(&key) && is_harmless(value),
        };
        if may {
            keep(key, value);
        }
    }
    kept
}

/// Whether a value calls nothing but what is known, spelt as it is known.
fn is_harmless(value: &str) -> bool {
    let value = value.to_ascii_lowercase();
    let mut rest = value.as_str();
    while let Some(at) = rest.find('(') {
        let before = rest[..at].trim_end();
        let start = before.rfind(|sign: char| !(sign.is_alphanumeric() || sign == '-'));
        let name = &before
            [start.map_or(0, |at| at + before[at..].chars().next().map_or(1, char::len_utf8))..];
        rest = &rest[at + 1..];
        let is_own = name == "url" && rest.trim_start_matches([' ', '"', '\'']).starts_with('#');
        if !is_own && !FUNCTIONS.contains(&name) {
            return false;
        }
    }
    !value.contains('\\')
}

fn escaped(text: &str) -> String {
    text.replace('&', "&amp;").replace('<', "&lt;").replace('>', "&gt;").replace('"', "&quot;")
}

#[cfg(test)]
mod tests {
    use super::*;

    fn whole(inside: &str) -> String {
        format!("<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 9 9\">{inside}</svg>")
    }

    fn svg(inside: &str) -> String {
        safe(&whole(inside)).expect("an image")
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
    fn nothing_stands_twice_and_a_style_goes_first() {
        let kept = svg("<rect fill=\"red\" style=\"fill: blue; stroke: rgb(1, 2, 3)\"/>");
        assert!(kept.contains("<rect fill=\"blue\" stroke=\"rgb(1, 2, 3)\"></rect>"), "{kept}");
        let text = "<svg xmlns:x=\"http://www.w3.org/1999/xlink\"><g id=\"a\"/>\
                    <use href=\"#a\" x:href=\"#b\"/></svg>";
        let kept = safe(text).expect("an image");
        assert!(kept.contains("<use href=\"#a\"></use>"), "{kept}");
        for image in [svg("<path style=\"d:x;d:y\" d=\"z\"/>"), kept] {
            assert!(Document::parse(&image).is_ok(), "{image}");
        }
    }

    #[test]
    fn what_is_spelt_otherwise_calls_nothing_either() {
        for value in [
            "image-set('a.png' 1x)",
            "\\75rl(a.png)",
            "u\\72l(a.png)",
            "paint(a)",
            "element(#a)",
            "-webkit-image-set(x)",
            "url(a.svg#b)",
            "URL ( 'a.svg' )",
            "src(a)",
            "url(\"//a\")",
            "cross-fade(url(#a), b)",
        ] {
            assert!(!is_harmless(value), "{value}");
        }
        for value in [
            "red",
            "rgb(1,2,3)",
            "url(#a)",
            "url( '#a' ) red",
            "translate(3) rotate(45, 1, 1)",
            "#ff0000",
            "M0 0L9 9",
        ] {
            assert!(is_harmless(value), "{value}");
        }
    }

    #[test]
    fn what_would_be_drawn_without_end_is_refused() {
        let nest = |levels: usize, repeats: usize| -> String {
            let uses = |level: usize| format!("<use href=\"#n{}\"/>", level - 1).repeat(repeats);
            let groups: String = (1..levels)
                .map(|level| format!("<g id=\"n{level}\">{}</g>", uses(level)))
                .collect();
            whole(&format!(
                "<defs><rect id=\"n0\"/>{groups}</defs><use href=\"#n{}\"/>",
                levels - 1
            ))
        };
        assert!(safe(&nest(3, 4)).is_ok());
        assert!(safe(&nest(20, 10)).is_err());
        let patterns: String = (1..30)
            .map(|n| format!("<pattern id=\"p{n}\"><rect fill=\"url(#p{0})\" stroke=\"url(#p{0})\"/></pattern>", n - 1))
            .collect();
        for text in [
            whole(&patterns),
            whole("<g id=\"a\"><use href=\"#a\"/></g>"),
            whole(&"<g/>".repeat(MOST_NODES + 1)),
            whole(&format!(
                "<rect {}/>",
                (0..60_000).map(|n| format!("a{n}=\"\" ")).collect::<String>()
            )),
        ] {
            assert_eq!(safe(&text), Err("This drawing has too many parts. Save it as PNG.".into()));
        }
        // However deep it is.
        let deep = format!("{}{}", "<g>".repeat(5_000), "</g>".repeat(5_000));
        assert!(safe(&whole(&deep)).is_ok_and(|kept| kept.len() < 1_000));
    }
}
