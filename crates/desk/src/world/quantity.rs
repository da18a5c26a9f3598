//! A value with its unit, as it stands in a text: `36 jars`, `A = 189 cm²`, `$4.50`.

use algebra::{Line, Options, Setting, StepVerdict, compare_given, read_line_with};

/// A value and the words behind it.
#[derive(Debug, Clone, PartialEq, Eq)]
pub(super) struct Told<'a> {
    /// What stands before the unit; it may be a calculation.
    pub value: &'a str,
    /// The unit, or what the number counts; empty where there is none.
    pub unit: &'a str,
}

/// Parts a text behind its last number.
pub(super) fn told(text: &str) -> Told<'_> {
    let text = text.trim().trim_end_matches(['.', '!', ';', ',']).trim_end();
    let mut cut = text.len();
    while let Some((at, sign)) = text[..cut].char_indices().next_back() {
        let before = text[..at].chars().next_back();
        let is_exponent = matches!(sign, '2' | '3') && before == Some('^');
        let is_degree = sign == '°' && text[cut..].starts_with(['C', 'F']);
        let is_unit = (sign.is_alphabetic() && sign != 'π')
            || is_exponent
            || is_degree
            || " ²³^/.'’-\u{a0}".contains(sign);
        if !is_unit {
            break;
        }
        cut = at;
    }
    let unit = text[cut..].trim_matches([' ', '-', '\u{a0}']);
    // A unit stands behind a number, never behind a sign.
    let ends_value =
        text[..cut].trim_end().ends_with(|c: char| c.is_numeric() || "π)%°}".contains(c));
    if ends_value && unit.chars().any(char::is_alphabetic) && !unit.starts_with(['/', '.']) {
        Told { value: text[..cut].trim_end(), unit }
    } else {
        Told { value: text, unit: "" }
    }
}

/// Whether one unit is the other, in any of its names: `cm2`, `sq cm`, `square centimetres`; `jar`, `jars`.
pub(super) fn is_same(told: &str, asked: &str) -> bool {
    let (told, asked) = (plain(told), plain(asked));
    if told == asked || stems(&told) == stems(&asked) || is_short_for(&told, &asked) {
        return true;
    }
    // `plants` for clover plants, `litres` for litres of soup; never `bees` for frames of bees.
    let head = match asked.split_once(" of ") {
        Some((head, _)) => head,
        None => asked.rsplit(' ').next().unwrap_or(&asked),
    };
    stems(&told) == stems(head) || is_same_measure(&told, &asked)
}

/// `c` for cents, `degrees` for °C: short where nothing else can be meant.
fn is_short_for(told: &str, asked: &str) -> bool {
    let told = told.to_lowercase();
    match asked {
        "cents" | "cent" | "¢" => told == "c",
        "pence" => told == "p",
        "°C" => {
            let first = told.split(' ').next().unwrap_or("");
            let rest = told[first.len()..].trim_start();
            matches!(first, "degrees" | "degree" | "deg" | "c" | "°")
                && matches!(rest, "" | "c" | "celsius" | "centigrade")
        }
        _ => false,
    }
}

/// Whether both are units that are known, and one of each is the same.
fn is_same_measure(told: &str, asked: &str) -> bool {
    measured("1", told).zip(measured("1", asked)).is_some_and(|(a, b)| {
        matches!(compare_given(&a, &b, &Setting::default()), StepVerdict::Equivalent { .. })
    })
}

/// So many of a unit, as a line; `None` where the unit is none that is known.
pub(super) fn measured(value: &str, unit: &str) -> Option<Line> {
    let options = Options { quantities: true, ..Options::default() };
    let line = read_line_with(&format!("{value} {}", plain(unit)), options).ok()?.line;
    let is_unit = matches!(line, Line::Expression(_)) && crate::has_units(&line);
    (is_unit && line.symbols().is_empty()).then_some(line)
}

/// Small letters where words stand, raised digits as exponents, `square` and `cubic` as exponents too.
fn plain(unit: &str) -> String {
    let unit = unit.replace('²', "^2").replace('³', "^3");
    let words: Vec<&str> = unit.split_whitespace().map(|word| word.trim_end_matches('.')).collect();
    let (power, rest) = match &words[..] {
        [first, rest @ ..] if !rest.is_empty() => match first.to_lowercase().as_str() {
            "square" | "sq" => ("^2", rest),
            "cubic" | "cu" => ("^3", rest),
            _ => ("", &words[..]),
        },
        all => ("", all),
    };
    let (power, rest) = match rest {
        [rest @ .., last] if power.is_empty() && !rest.is_empty() => {
            match last.to_lowercase().as_str() {
                "squared" => ("^2", rest),
                "cubed" => ("^3", rest),
                _ => (power, words.as_slice()),
            }
        }
        rest => (power, rest),
    };
    // `cm2`
    let joined = rest.join(" ");
    let joined = match joined.strip_suffix(['2', '3']) {
        Some(name)
            if power.is_empty() && name.chars().all(char::is_alphabetic) && !name.is_empty() =>
        {
            format!("{name}^{}", &joined[name.len()..])
        }
        _ => joined,
    };
    let long = joined.split(' ').all(|word| word.chars().count() > 3);
    let joined = if long { joined.to_lowercase() } else { joined };
    let joined = joined.replace(" per ", "/").replace(" an ", "/");
    format!("{joined}{power}")
}

/// The words without the ending that says how many.
fn stems(words: &str) -> Vec<String> {
    let stem = |word: &str| {
        let word = word.to_lowercase();
        for (ending, instead) in
            [("ies", "y"), ("ches", "ch"), ("shes", "sh"), ("xes", "x"), ("s", "")]
        {
            if let Some(start) = word.strip_suffix(ending).filter(|start| start.len() > 1) {
                return format!("{start}{instead}");
            }
        }
        word
    };
    words.split_whitespace().map(stem).collect()
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    #[rustfmt::skip]
    fn a_text_is_parted_behind_its_number() {
        for (text, value, unit) in [
            ("36 jars",             "36",               "jars"),
            ("189 cm^2",            "189",              "cm^2"),
            ("189cm²",              "189",              "cm²"),
            ("A = 189 cm².",        "A = 189",          "cm²"),
            ("8 km/h",              "8",                "km/h"),
            ("3 1/2 litres",        "3 1/2",            "litres"),
            ("45°",                 "45°",              ""),
            ("-45 °C",              "-45",              "°C"),
            ("x = 5",               "x = 5",            ""),
            ("36π cm^2",            "36π",              "cm^2"),
            ("5√5 m",               "5√5",              "m"),
            ("20%",                 "20%",              ""),
            ("2 × 36 = 72 square metres", "2 × 36 = 72", "square metres"),
            ("63.",                 "63",               ""),
            ("x^2",                 "x^2",              ""),
        ] {
            assert_eq!(told(text), Told { value, unit }, "{text}");
        }
    }

    #[test]
    fn units_are_the_same_in_any_of_their_names() {
        for (told, asked) in [
            ("cm", "centimetres"),
            ("jar", "jars"),
            ("Jars", "jars"),
            ("cm2", "cm²"),
            ("sq cm", "cm²"),
            ("square centimetres", "cm²"),
            ("metres squared", "m²"),
            ("square m", "m²"),
            ("plants", "clover plants"),
            ("$", "dollars"),
            ("hours", "h"),
            ("minutes", "min"),
            ("boxes", "box"),
            ("berries", "berry"),
            ("litres", "litres of soup"),
            ("km per h", "km/h"),
            ("L", "litre"),
            ("c", "cents"),
            ("degrees", "°C"),
            ("degrees Celsius", "°C"),
        ] {
            assert!(is_same(told, asked), "{told} for {asked}");
        }
        for (told, asked) in [
            ("m", "cm"),
            ("cm", "cm²"),
            ("cm^3", "cm²"),
            ("jars", "frames"),
            ("bees", "frames of bees"),
            ("kg", "g"),
            ("minutes", "h"),
            ("mm", "m"),
            ("dollars", "cents"),
        ] {
            assert!(!is_same(told, asked), "{told} for {asked}");
        }
    }
}
