//! A right-angled triangle told by its sides and angles, in whatever order and words: "the legs are 5 and 12, how long is
//! the hypotenuse?".
//!
//! Every word has to be one that belongs to such a triangle or to asking; else it is no such task.

use super::right_triangles as worked;
use super::{Found, Recognised, TaskKind, Told};
use crate::typed::text::{Amount, Kind, Loose, Token};

/// What a triangle is told by.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
enum Name {
    Hypotenuse,
    Leg,
    Opposite,
    Adjacent,
    Angle,
}

/// Words that name a part.
const NAMES: &[(&str, Name)] = &[
    ("hypotenuse", Name::Hypotenuse),
    ("hypotenuse's", Name::Hypotenuse),
    ("hyp", Name::Hypotenuse),
    ("longest", Name::Hypotenuse),
    ("leg", Name::Leg),
    ("legs", Name::Leg),
    ("shorter", Name::Leg),
    ("cathetus", Name::Leg),
    ("opposite", Name::Opposite),
    ("opp", Name::Opposite),
    ("adjacent", Name::Adjacent),
    ("adj", Name::Adjacent),
    ("angle", Name::Angle),
    ("angles", Name::Angle),
    ("theta", Name::Angle),
    ("θ", Name::Angle),
];

/// Words that say that it is such a triangle.
const RIGHT: &[&str] = &["right", "right-angled", "pythagoras", "pythagorean", "hypotenuse", "rt"];

/// Words that say nothing more.
const FILLERS: &[&str] = &[
    "a",
    "an",
    "the",
    "of",
    "with",
    "is",
    "has",
    "have",
    "having",
    "and",
    "its",
    "it",
    "whose",
    "which",
    "that",
    "if",
    "find",
    "work",
    "out",
    "calculate",
    "compute",
    "determine",
    "what",
    "how",
    "are",
    "please",
    "measuring",
    "measures",
    "measure",
    "in",
    "for",
    "when",
    "where",
    "be",
    "give",
    "long",
    "size",
    "side",
    "sides",
    "length",
    "lengths",
    "right",
    "right-angled",
    "rt",
    "angled",
    "triangle",
    "triangles",
    "pythagoras",
    "pythagorean",
    "pythagoras'",
    "theorem",
    "use",
    "using",
    "by",
    "other",
    "missing",
    "third",
    "remaining",
    "unknown",
    "two",
    "one",
    "both",
    "to",
    "units",
    "do",
    "you",
    "can",
    "large",
    "big",
    "degrees",
    "given",
    "then",
    "another",
    "known",
    "must",
    "does",
    "get",
    "i",
    "s",
    "each",
    "trig",
    "trigonometry",
    "whats",
    "what's",
    "was",
    "x",
];

/// Words behind which a side without a name is the one that is asked for.
const ASKED_SIDE: &[&str] = &["other", "missing", "third", "remaining", "unknown"];

/// What a text tells of the parts, and which it asks for.
#[derive(Debug, Default)]
struct Parts {
    known: Vec<(Name, Amount)>,
    wanted: Vec<Name>,
    asks_side: bool,
}

impl Parts {
    fn of(told: &[Token]) -> Option<Self> {
        let mut parts = Self::default();
        let mut pending: Option<(Name, bool)> = None;
        let mut before = "";
        for token in told {
            match &token.kind {
                Kind::Number(amount) if amount.is_percent || !amount.is_positive() => return None,
                Kind::Number(amount) => {
                    let is_angle = amount.unit.as_ref().is_some_and(|unit| unit.text() == "°");
                    // Without a name of its own a side of such a triangle is a leg.
                    let name = match &mut pending {
                        Some((name, has_number)) if !is_angle || *name == Name::Angle => {
                            *has_number = true;
                            *name
                        }
                        _ if is_angle => Name::Angle,
                        _ => Name::Leg,
                    };
                    parts.known.push((name, amount.clone()));
                    before = "#";
                }
                Kind::Word(word) => {
                    if word == "angle" && before == "right" {
                        before = word;
                        continue;
                    }
                    if let Some((_, name)) = NAMES.iter().find(|(known, _)| known == word) {
                        // "5 cm hypotenuse"
                        if before == "#" && pending.is_none() {
                            parts.known.last_mut()?.0 = *name;
                        } else {
                            parts.close(pending.take());
                            pending = Some((*name, false));
                        }
                    } else if FILLERS.contains(&word.as_str()) {
                        let is_side = matches!(word.as_str(), "side" | "sides");
                        parts.asks_side |= is_side && ASKED_SIDE.contains(&before);
                        let asks = matches!(
                            word.as_str(),
                            "find"
                                | "what"
                                | "how"
                                | "calculate"
                                | "work"
                                | "determine"
                                | "other"
                                | "has"
                                | "with"
                        );
                        let has_number = pending.is_some_and(|(_, has_number)| has_number);
                        if has_number && (asks || is_side) {
                            pending = None;
                        }
                    } else {
                        return None;
                    }
                    before = word;
                }
                Kind::Sign(',' | ':' | '.' | '?' | '=' | ';' | '\'' | '-') => {}
                _ => return None,
            }
        }
        parts.close(pending);
        Some(parts)
    }

    /// Ends a name: without a number it is what is asked for.
    fn close(&mut self, pending: Option<(Name, bool)>) {
        if let Some((name, false)) = pending {
            self.wanted.push(name);
        }
    }

    fn all(&self, name: Name) -> Vec<&Amount> {
        self.known.iter().filter(|(known, _)| *known == name).map(|(_, amount)| amount).collect()
    }
}

/// A ladder at a wall: its length, how far its foot stands off, how high it reaches.
fn ladder(told: &Loose) -> Option<Recognised> {
    let is_one = told.says(&["ladder"]) && told.says(&["wall", "building", "house"]);
    if !is_one || told.says(&["angle", "degrees", "more"]) {
        return None;
    }
    let [(_, a), (_, b)] = told.numbers[..] else { return None };
    let asks = told.words.iter().rposition(|word| matches!(*word, "how" | "what" | "find"))?;
    let behind = told.words[asks..].iter().skip(1).take(3);
    let first = behind
        .copied()
        .find(|word| matches!(*word, "long" | "length" | "high" | "far" | "height" | "distance"))?;
    if matches!(first, "long" | "length") {
        return Some((&worked::KINDS[0], worked::hypotenuse(&Loose::of_numbers(&[a, b]))?));
    }
    let (long, short) = if a.value > b.value { (a, b) } else { (b, a) };
    Some((&worked::KINDS[1], worked::leg(&Loose::of_numbers(&[long, short]))?))
}

/// The kinds of such a task, for what they are called; they have no wordings of their own.
pub(super) fn recognise(loose: &Loose) -> Option<Recognised> {
    if let Some(found) = ladder(loose) {
        return Some(found);
    }
    let names = ["opposite", "adjacent", "opp", "adj"];
    let named = loose.words.iter().filter(|word| names.contains(word)).count();
    if !loose.says(RIGHT) && named < 2 {
        return None;
    }
    let parts = Parts::of(loose.told)?;
    let (legs, long) = (parts.all(Name::Leg), parts.all(Name::Hypotenuse));
    let (opposite, adjacent) = (parts.all(Name::Opposite), parts.all(Name::Adjacent));
    let angles = parts.all(Name::Angle);
    let wanted = match &parts.wanted[..] {
        [wanted, others @ ..] if others.iter().all(|other| other == wanted) => Some(*wanted),
        [] if parts.asks_side => None,
        _ => return None,
    };
    let of = |told: Option<Told>, kind: &'static TaskKind| told.map(|told| (kind, told));
    match (wanted, &legs[..], &long[..], &opposite[..], &adjacent[..], &angles[..]) {
        (Some(Name::Hypotenuse), [a, b], [], [], [], [])
        | (Some(Name::Hypotenuse), [], [], [a], [b], []) => {
            of(worked::hypotenuse(&Loose::of_numbers(&[a, b])), &worked::KINDS[0])
        }
        (Some(Name::Leg) | None, [a], [c], [], [], [])
        | (Some(Name::Opposite), [], [c], [], [a], [])
        | (Some(Name::Adjacent), [], [c], [a], [], []) => {
            of(worked::leg(&Loose::of_numbers(&[c, a])), &worked::KINDS[1])
        }
        (Some(Name::Angle), [], long, opposite, adjacent, []) => {
            let told = [("opposite", opposite), ("adjacent", adjacent), ("hypotenuse", long)];
            let told: Vec<(&str, &Amount)> = told
                .iter()
                .flat_map(|(name, all)| all.iter().map(move |amount| (*name, *amount)))
                .collect();
            let [(first, a), (second, b)] = told[..] else { return None };
            let words = vec![first.to_owned(), second.to_owned()];
            let found = Found { words, ..Loose::of_numbers(&[a, b]) };
            of(worked::angle(&found), worked::angle_kind())
        }
        (Some(wanted), [], long, opposite, adjacent, [angle]) => {
            let told = [("opposite", opposite), ("adjacent", adjacent), ("hypotenuse", long)];
            let mut told = told.iter().filter_map(|(name, all)| Some((*name, *all.first()?)));
            let (known, by) = told.next()?;
            if told.next().is_some() {
                return None;
            }
            let wanted = match wanted {
                Name::Hypotenuse => "hypotenuse",
                Name::Opposite => "opposite",
                Name::Adjacent => "adjacent",
                Name::Leg | Name::Angle => return None,
            };
            of(worked::side(angle, known, by, wanted), worked::side_kind())
        }
        _ => None,
    }
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::typed::text::tokens;

    fn answer(text: &str) -> Option<String> {
        let tokens = tokens(text);
        let (_, told) = recognise(&Loose::of(&tokens)?)?;
        match told.work {
            super::super::Work::Lines(lines) => Some(lines.1.text),
            super::super::Work::Solver(_) => None,
        }
    }

    #[test]
    fn sides_are_told_in_any_order_and_words() {
        for (text, expected) in [
            ("the legs of a right triangle are 5 and 12, find the hypotenuse", "13"),
            (
                "how long is the hypotenuse of a right-angled triangle whose legs measure 6 cm and 8 cm",
                "10 cm",
            ),
            (
                "in a right triangle the hypotenuse is 13 cm and one leg is 5 cm. what is the other leg?",
                "12 cm",
            ),
            ("right-angled triangle, hypotenuse 25, one side 7, find the missing side", "24"),
            (
                "in a right triangle the opposite is 5 and the hypotenuse is 10, find the angle",
                "30°",
            ),
            ("opposite = 4, adjacent = 4, what is the angle in the right triangle", "45°"),
            (
                "right triangle with an angle of 30° and a hypotenuse of 12 cm, how long is the opposite side",
                "6 cm",
            ),
            ("opposite 3 cm adjacent 4 cm find hypotenuse", "5 cm"),
        ] {
            assert_eq!(answer(text).as_deref(), Some(expected), "{text}");
        }
    }

    #[test]
    fn what_is_told_too_little_or_of_something_else_is_none() {
        for text in [
            "a right triangle has sides 3 and 4",
            "find the hypotenuse of a right triangle with leg 5",
            "turn right at the triangle",
            "the right answer is 5",
        ] {
            assert_eq!(answer(text), None, "{text}");
        }
    }
}
