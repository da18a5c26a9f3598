//! Angles: in triangles and polygons, on lines, between parallels; degrees and radians.

use super::{Answer, Found, Recognised, TaskKind, Told};
use crate::typed::text::{Amount, Loose, written};
use algebra::Rational;
use algebra::number::{from_int, show};
use num_traits::{One, Signed};
use teaching::typeset::Lines;

#[rustfmt::skip]
pub(super) const KINDS: &[TaskKind] = &[
    beside("Polygons", &[
        "sum of? interior|internal? angles of|in|for regular? _", "sum of? interior|internal? angles of|in polygon with # sides",
        "interior angle sum of|for regular? _", "sum of? interior|internal? angles of|in # sided|gon polygon?",
        "sum of? interior|internal? angles of|in # sided|gon polygon?", "angle sum of|for regular? _",
        "what do|does interior? angles of|in _ add up? to", "interior angles of _", "total of? interior? angles in|of _",
        "angles in|of _ add up? to",
    ], |f| polygon(f, sum)),
    beside("Polygons", &[
        "each? interior|internal angle of|in regular _", "size of each? interior|internal angle of|in regular _",
        "each? interior|internal angle of|in regular polygon with # sides", "interior angle of|in regular # sided|gon polygon?",
        "interior angle of|in regular # sided|gon polygon?", "size of each? interior angle of|in regular polygon with # sides",
        "one interior angle of|in regular _",
    ], |f| polygon(f, interior)),
    beside("Polygons", &[
        "each? exterior|external angle of|in regular _", "size of each? exterior|external angle of|in regular _",
        "each? exterior|external angle of|in regular polygon with # sides", "exterior angle of|in regular # sided|gon polygon?",
        "exterior angle of|in regular # sided|gon polygon?", "size of each? exterior angle of|in regular polygon with # sides",
        "one exterior angle of|in regular _",
    ], |f| polygon(f, exterior)),
    beside("Polygons", &[
        "how many sides if|when|has exterior angle is? #",
        "how many sides does|has regular? polygon have? with|if|whose? exterior angle of|is? # have?",
        "regular polygon exterior angle #? how many sides", "regular polygon has? exterior angle of|is? # how many sides does? it? have?",
        "number of sides of|if regular? polygon with|if|whose? exterior angle of|is? #",
        "exterior angle of regular? polygon is # how many sides does? it? have?", "exterior angle is # how many sides",
        "how many sides has regular? polygon with exterior angle of? #",
    ], sides_of_exterior),
    beside("Polygons", &[
        "how many sides does|has regular? polygon have? with|if|whose? interior angle of|is? # have?",
        "regular polygon has? interior angle of|is? # how many sides does? it? have?",
        "interior angle of regular? polygon is # how many sides does? it? have?",
        "number of sides of|if regular? polygon with|if|whose? interior angle of|is? #", "interior angle is # how many sides",
        "how many sides has regular? polygon with interior angle of? #",
    ], sides_of_interior),
    beside("Angles in a triangle", &[
        "third|missing|other|last angle of|in triangle with|if|when? angles? of? #, ",
        "triangle has|with angles? of? #, find? third|missing|last|other angle",
        "two angles of|in triangle are #, find? third|missing|last|other angle?",
        "triangle angles #, find? third|missing|last|other angle?",
        "two angles of|in triangle are #, what|find is? third|missing|other angle?", "angles of|in triangle are #, and x find x",
        "triangle with angles #, what is third|missing angle", "angles in triangle #, find? third|missing|other angle?",
        "two angles of|in triangle #, third|missing angle", "third angle of triangle #,", "missing angle triangle #,",
        "angles of|in triangle are #, find? third|missing|other|last angle?",
    ], |f| missing(f, 180, "a triangle")),
    beside("Angles in a quadrilateral", &[
        "fourth|missing|other|last angle of|in quadrilateral with|if|when? angles? of? #,",
        "quadrilateral has|with angles? of? #, find? fourth|missing|last|other angle",
        "three angles of|in quadrilateral are #, find? fourth|missing|last|other angle?",
        "three angles of|in quadrilateral are #, what is fourth|missing|other angle?",
        "quadrilateral angles #, find? fourth|missing|last|other angle?", "angles in quadrilateral #, find? fourth|missing|other angle?",
        "missing angle quadrilateral #,",
    ], |f| missing(f, 360, "a quadrilateral")),
    beside("Angles on a line", &[
        "angle|angles on straight line with #", "angles on straight line # and x",
        "other|missing|second angle on straight line if|with|when one is? #", "missing|other angle on straight line #",
        "angles on straight line # find? other|missing?", "angle next to # on straight line", "straight line angle # find other",
        "two angles on straight line one is # find? what|is? other",
    ], |f| from(f, 180, "a straight line")),
    beside("Angles on a line", &[
        "missing|other|third angle on straight line with? #,", "angles on straight line #, find? missing|other|third?",
    ], |f| missing(f, 180, "a straight line")),
    beside("Angles at a point", &[
        "missing|other|last|fourth|third angle around|at|round point with? angles? #,",
        "angles around|at|round point #, find? missing|other|last|fourth|third angle?", "angles around|at|round point are #, and x find x",
    ], |f| missing(f, 360, "a point")),
    beside("Angles at a point", &[
        "missing|other angle around|at|round point with? #", "angles around|at|round point # find? missing|other?",
    ], |f| from(f, 360, "a point")),
    beside("Complements", &[
        "complement of #", "complementary angle of|to|for #", "angle complementary to #",
    ], |f| from(f, 90, "a right angle")),
    beside("Supplements", &[
        "supplement of #", "supplementary angle of|to|for #", "angle supplementary to #", "co interior angle to|of|with #",
        "co interior angle to|of|with #", "cointerior angle to|of|with #", "allied angle to|of #",
        "co interior angles one is # find? what|is? other",
    ], |f| from(f, 180, "a straight angle")),
    beside("Equal angles", &[
        "alternate|corresponding angle to|of|with|for? #", "vertically opposite angle to|of|with #", "angle alternate|corresponding to #",
        "vertically opposite angles one is # find? what|is? other?", "angle vertically opposite to? #",
        "alternate|corresponding angles one is # find? what|is? other?",
    ], equal),
    beside("Angles as expressions", &[
        "alternate|corresponding|vertically angles|opposite angles? one is @ and? other is? @ find|what|solve for|is|value? of? _",
        "alternate|corresponding|vertically angles|opposite angles? are @ and @ find|what|solve for|is|value? of? _",
    ], |f| by_equation(f, None)),
    beside("Angles as expressions", &[
        "angles|three|two of|in|angles? of|in? triangle are @ find|what|solve for|is|value? of? _", "triangle has|with angles @ find|what|solve for|is|value? of? _",
        "angles|two on straight|angles line|on straight? line? are? @ find|what|solve for|is|value? of? _",
        "co interior|allied angles are @ find|what|solve for|is|value? of? _",
    ], |f| by_equation(f, Some(180))),
    beside("Angles as expressions", &[
        "angles of|in quadrilateral are @ find|what|solve for|is|value? of? _", "angles around|at|round point are @ find|what|solve for|is|value? of? _",
    ], |f| by_equation(f, Some(360))),
    beside("Isosceles triangles", &[
        "isosceles triangle apex|vertex|top angle is|of? # find? base angles|angle?",
        "base angle|angles of isosceles triangle with|if apex|vertex|top angle is|of? #",
        "isosceles triangle with apex|vertex|top angle of? # find|what? each? is|are? base angle|angles",
        "isosceles triangle has? apex|vertex|top angle of? # what is each? base angle|angles",
    ], base_angle),
    beside("Isosceles triangles", &[
        "isosceles triangle base angle|angles are|is|of? # find? apex|vertex|top|third? angle?",
        "apex|vertex|top angle of isosceles triangle with|if base angle|angles is|are|of? #",
        "isosceles triangle with|has base angle|angles of? # find|what? is? apex|vertex|top|third angle",
    ], apex),
    TaskKind::beside("angles.circle", "Degrees and radians", &[
        "convert|change|write|express? # to|in|into|as radians", "# in|to|as radians", "how many radians are|is? in? #",
    ], to_radians),
    TaskKind::beside("angles.circle", "Degrees and radians", &[
        "convert|change|write|express? # radians? to|in|into|as degrees", "# radians? in|to|as|into degrees",
        "how many degrees are|is? in? # radians?",
    ], to_degrees),
    TaskKind::beside("trig.bearings", "Bearings", &[
        "back bearing of|to #", "bearing of _ from _ is # find|what? is? bearing of _ from _", "reverse bearing of|to #",
        "bearing from _ to _ is # find|what? is? bearing from _ to _",
    ], back_bearing),
];

const fn beside(
    topic: &'static str,
    wordings: &'static [&'static str],
    told: fn(&Found) -> Option<Told>,
) -> TaskKind {
    TaskKind::beside("angles.circle", topic, wordings, told)
}

/// An answer in degrees.
fn degrees(lines: Lines, says: String, value: &Rational) -> Told {
    let value = written(value);
    let lines = lines.end(format!("It is {value}°."));
    Told::lines(
        says,
        lines,
        Answer { unit: Some("°".into()), ..Answer::value(value.clone()) }
            .written(format!("{value}°")),
    )
}

const POLYGONS: &[(&str, i64)] = &[
    ("triangle", 3),
    ("quadrilateral", 4),
    ("square", 4),
    ("pentagon", 5),
    ("hexagon", 6),
    ("heptagon", 7),
    ("septagon", 7),
    ("octagon", 8),
    ("nonagon", 9),
    ("decagon", 10),
    ("hendecagon", 11),
    ("dodecagon", 12),
    ("icosagon", 20),
];

/// How many sides a polygon of that name has.
pub(super) fn sides(name: &str) -> Option<i64> {
    let name = name.to_lowercase();
    let known = POLYGONS.iter().find(|(known, _)| *known == name || format!("{known}s") == name);
    known.map(|(_, sides)| *sides)
}

fn polygon(found: &Found, told: fn(i64, &str) -> Option<Told>) -> Option<Told> {
    if let Some(count) = found.numbers.first() {
        let n = count.whole(1000).filter(|n| *n >= 3)?;
        return told(n, &format!("a polygon with {n} sides"));
    }
    let name = found.names.last()?;
    let n = sides(name)?;
    let name = name.to_lowercase();
    let article = if name.starts_with(['a', 'e', 'i', 'o', 'u']) { "an" } else { "a" };
    told(n, &format!("{article} {name}"))
}

fn sum(n: i64, name: &str) -> Option<Told> {
    let lines = Lines::default()
        .say(
            "$(n - 2) × 180$".replace('×', "\\times"),
            "A polygon with n sides splits into n - 2 triangles",
        )
        .begin(&format!("({n} - 2) × 180"), "Put in the number of sides")
        .then(&format!("{} × 180", n - 2), "So many triangles")
        .then(&((n - 2) * 180).to_string(), "Multiply");
    Some(degrees(
        lines,
        format!("The sum of the interior angles of {name}"),
        &from_int((n - 2) * 180),
    ))
}

fn regular(name: &str) -> String {
    let bare = name.trim_start_matches("an ").trim_start_matches("a ");
    format!("a regular {bare}")
}

fn interior(n: i64, name: &str) -> Option<Told> {
    let value = Rational::new(((n - 2) * 180).into(), n.into());
    let lines = Lines::default()
        .work(&format!("({n} - 2) × 180 = {}", (n - 2) * 180), "All interior angles together")
        .begin(&format!("{} ÷ {n}", (n - 2) * 180), "They are all equal")
        .then(&written(&value), "Divide");
    Some(degrees(lines, format!("One interior angle of {}", regular(name)), &value))
}

fn exterior(n: i64, name: &str) -> Option<Told> {
    let value = Rational::new(360.into(), n.into());
    let lines = Lines::start(&format!("360 ÷ {n}"))
        .then(&written(&value), "The exterior angles make one full turn");
    Some(degrees(lines, format!("One exterior angle of {}", regular(name)), &value))
}

fn angle(amount: &Amount) -> Option<&Rational> {
    let fits = amount.unit.as_ref().is_none_or(|unit| unit.text() == "°");
    (fits && amount.is_positive() && !amount.is_percent && !amount.is_of_pi)
        .then_some(&amount.value)
}

fn sides_of(exterior: &Rational, lines: Lines, says: String) -> Option<Told> {
    let n = from_int(360) / exterior;
    if !n.is_integer() || n < from_int(3) {
        return None;
    }
    let shown = written(&n);
    let lines = lines
        .begin(&format!("360 ÷ {}", written(exterior)), "The exterior angles make one full turn")
        .then(&shown, "Divide");
    Some(Told::lines(says, lines, Answer::value(shown)))
}

fn sides_of_exterior(found: &Found) -> Option<Told> {
    let [one] = found.amounts()?;
    sides_of(
        angle(one)?,
        Lines::default(),
        format!("How many sides a regular polygon with exterior angle {}° has", one.text),
    )
}

fn sides_of_interior(found: &Found) -> Option<Told> {
    let [one] = found.amounts()?;
    let rest = from_int(180) - angle(one)?;
    if !rest.is_positive() {
        return None;
    }
    let lines = Lines::default()
        .work(&format!("180 - {} = {}", one.text, written(&rest)), "The exterior angle");
    sides_of(
        &rest,
        lines,
        format!("How many sides a regular polygon with interior angle {}° has", one.text),
    )
}

/// Words that say nothing of the figure.
const FILLERS: &[&str] = &[
    "a",
    "an",
    "the",
    "of",
    "with",
    "is",
    "has",
    "have",
    "and",
    "its",
    "it",
    "if",
    "find",
    "work",
    "out",
    "calculate",
    "what",
    "how",
    "are",
    "please",
    "in",
    "on",
    "for",
    "when",
    "where",
    "angle",
    "angles",
    "which",
    "that",
    "two",
    "three",
    "four",
    "other",
    "others",
    "missing",
    "third",
    "fourth",
    "last",
    "remaining",
    "unknown",
    "lie",
    "lies",
    "degrees",
    "size",
    "x",
    "y",
    "one",
    "large",
    "big",
    "given",
    "measures",
    "measure",
    "at",
    "form",
    "forms",
    "make",
    "makes",
    "up",
    "together",
    "same",
    "equal",
    "each",
    "them",
    "these",
    "both",
    "isosceles",
    "apex",
    "to",
    "value",
    "whose",
    "then",
    "determine",
    "does",
    "do",
    "so",
    "s",
    "be",
    "must",
    "by",
    "there",
    "around",
    "round",
    "full",
    "turn",
    "between",
    "being",
];

/// Where the angles lie, and what they make together.
const PLACES: &[(&str, i64, &str)] = &[
    ("triangle", 180, "a triangle"),
    ("quadrilateral", 360, "a quadrilateral"),
    ("straight", 180, "a straight line"),
    ("point", 360, "a point"),
];

/// Angles told with where they lie, in whatever words: "x and 65 are on a straight line, find x".
pub(super) fn recognise(told: &Loose) -> Option<Recognised> {
    if told.says(&["polygon"]) {
        return of_polygon(told);
    }
    let mut places = PLACES.iter().filter(|(word, ..)| told.words.contains(word));
    let ((place, whole, of), None) = (places.next()?, places.next()) else { return None };
    let is_known = |word: &&str| {
        FILLERS.contains(word)
            || **word == **place
            || matches!(*word, "line") && *place == "straight"
    };
    if !told.words.iter().all(is_known) {
        return None;
    }
    let kind = |topic: &str| KINDS.iter().find(|kind| kind.topic == Some(topic));
    let asks = told.says(&["find", "what", "calculate", "work", "determine", "how", "missing"]);
    let are_equal = told.says(&["equal", "same", "isosceles"]);
    match told.numbers.len() {
        // Two of three angles are equal.
        1 if *place == "triangle" && are_equal => {
            let at = told.numbers[0].0;
            let told = match (
                told.is_behind(at, &["third", "other", "apex", "top", "vertex", "remaining"]),
                told.is_behind(at, &["equal", "same", "base"]),
            ) {
                (true, false) => base_angle(&told.found())?,
                (false, true) => apex(&told.found())?,
                _ => return None,
            };
            Some((kind("Isosceles triangles")?, told))
        }
        1 if *place == "straight" && asks => {
            Some((kind("Angles on a line")?, from(&told.found(), *whole, of)?))
        }
        2.. if asks && !are_equal => {
            let topic = match *place {
                "triangle" => "Angles in a triangle",
                "quadrilateral" => "Angles in a quadrilateral",
                "straight" => "Angles on a line",
                _ => "Angles at a point",
            };
            let found = Found { lists: vec![told.found().numbers], ..Found::default() };
            Some((kind(topic)?, missing(&found, *whole, of)?))
        }
        _ => None,
    }
}

/// How many sides a regular polygon has, from one of its angles.
fn of_polygon(told: &Loose) -> Option<Recognised> {
    let asks = told.says_in_order(&["how", "many", "sides"])
        || told.says_in_order(&["number", "of", "sides"]);
    let kind = KINDS.iter().find(|kind| kind.topic == Some("Polygons")).filter(|_| asks)?;
    let is_sum = told.says(&["sum", "total", "add", "up"]);
    match (told.says(&["exterior", "external"]), told.says(&["interior", "internal"])) {
        (true, false) if !is_sum => Some((kind, sides_of_exterior(&told.found())?)),
        (false, true) if !is_sum => Some((kind, sides_of_interior(&told.found())?)),
        _ => None,
    }
}

/// What is missing to a sum.
fn missing(found: &Found, whole: i64, of: &str) -> Option<Told> {
    let list = found.list()?;
    // A triangle has three angles: two are told.
    if of.ends_with("triangle") && list.len() != 2
        || of.ends_with("quadrilateral") && list.len() != 3
    {
        return None;
    }
    let values: Vec<&Rational> = list.iter().map(angle).collect::<Option<_>>()?;
    let sum = values.iter().fold(from_int(0), |sum, one| sum + *one);
    let rest = from_int(whole) - &sum;
    if !rest.is_positive() {
        return None;
    }
    let told: Vec<String> = list.iter().map(|one| one.text.clone()).collect();
    let lines = Lines::default()
        .work(&format!("{} = {}", told.join(" + "), written(&sum)), "The angles that are known")
        .begin(
            &format!("{whole} - {}", written(&sum)),
            format!("The angles of {of} make {whole}°")
                .replace("of a straight line", "on a straight line")
                .replace("of a point", "at a point"),
        )
        .then(&written(&rest), "Take away");
    let shown: Vec<String> = told.iter().map(|one| format!("{one}°")).collect();
    Some(degrees(
        lines,
        format!("The missing angle of {of} with {}", super::joined(&shown))
            .replace("of a straight line", "on a straight line")
            .replace("of a point", "at a point"),
        &rest,
    ))
}

/// One angle taken from a whole.
fn from(found: &Found, whole: i64, of: &str) -> Option<Told> {
    let [one] = found.amounts()?;
    let rest = from_int(whole) - angle(one)?;
    if !rest.is_positive() {
        return None;
    }
    let lines = Lines::start(&format!("{whole} - {}", one.text))
        .then(&written(&rest), format!("Together they make {whole}°"));
    Some(degrees(lines, format!("What {}° lacks of {of}, {whole}°", one.text), &rest))
}

/// Angles told as expressions: equal, or making a whole together.
fn by_equation(found: &Found, whole: Option<i64>) -> Option<Told> {
    let told = found.texts.join(" and ").replace("degrees", "").replace('°', "");
    let parts: Vec<&str> = told
        .split(" and ")
        .flat_map(|part| part.split(','))
        .map(str::trim)
        .filter(|part| !part.is_empty())
        .collect();
    let letter = found.names.last()?;
    let reads = |part: &&str| {
        super::formula::expression(part)
            .is_some_and(|expr| expr.symbols().iter().all(|name| name == letter))
    };
    if parts.len() < 2 || parts.len() > 6 || !parts.iter().all(reads) {
        return None;
    }
    let bracketed = |part: &&str| {
        if part.contains(['+', '-', '−']) { format!("({part})") } else { (*part).to_owned() }
    };
    let (problem, says) = match whole {
        None => {
            let [one, other] = parts[..] else { return None };
            (format!("{one} = {other}"), "These two angles are equal".to_owned())
        }
        Some(whole) => {
            let sum: Vec<String> = parts.iter().map(bracketed).collect();
            (
                format!("{} = {whole}", sum.join(" + ")),
                format!("Together these angles make {whole}°"),
            )
        }
    };
    algebra::read_line(&problem).ok().filter(|read| read.line.symbols().contains(letter))?;
    let task = crate::solving::Task {
        kind: crate::solving::TaskKind::Solve,
        problem: problem.clone(),
        unknown: Some(letter.clone()),
        ..crate::solving::Task::default()
    };
    Some(Told::solver(format!("{says}: {problem}"), task))
}

fn equal(found: &Found) -> Option<Told> {
    let [one] = found.amounts()?;
    let value = angle(one)?.clone();
    let lines = Lines::default().begin(&one.text, "These two angles are equal");
    Some(degrees(lines, format!("The angle that equals {}°", one.text), &value))
}

fn base_angle(found: &Found) -> Option<Told> {
    let [apex] = found.amounts()?;
    let rest = from_int(180) - angle(apex)?;
    let half = &rest / from_int(2);
    if !half.is_positive() {
        return None;
    }
    let lines = Lines::default()
        .work(&format!("180 - {} = {}", apex.text, written(&rest)), "The two base angles together")
        .begin(&format!("{} ÷ 2", written(&rest)), "They are equal")
        .then(&written(&half), "Divide");
    Some(degrees(
        lines,
        format!("A base angle of an isosceles triangle with {}° at the top", apex.text),
        &half,
    ))
}

fn apex(found: &Found) -> Option<Told> {
    let base = found.numbers.first()?;
    let rest = from_int(180) - angle(base)? * from_int(2);
    if !rest.is_positive() {
        return None;
    }
    let lines = Lines::start(&format!("180 - 2 × {}", base.text))
        .then(&written(&rest), "The base angles are equal; all three make 180°");
    Some(degrees(
        lines,
        format!("The top angle of an isosceles triangle with base angles of {}°", base.text),
        &rest,
    ))
}

fn times_pi(factor: &Rational) -> String {
    let (above, below) = (factor.numer(), factor.denom());
    let front = if above.is_one() {
        String::new()
    } else if (-above.clone()).is_one() {
        "-".into()
    } else {
        above.to_string()
    };
    if below.is_one() { format!("{front}π") } else { format!("{front}π/{below}") }
}

fn to_radians(found: &Found) -> Option<Told> {
    let [one] = found.amounts()?;
    if one.unit.as_ref().is_some_and(|unit| unit.text() != "°") || one.is_of_pi || one.is_percent {
        return None;
    }
    let factor = &one.value / from_int(180);
    let value = times_pi(&factor);
    let lines =
        Lines::start(&format!("{} × π/180", one.factor())).then(&value, "180° are π radians");
    Some(Told::lines(format!("{}° in radians", one.text), lines, Answer::value(value)))
}

fn to_degrees(found: &Found) -> Option<Told> {
    let [one] = found.amounts()?;
    if one.unit.as_ref().is_some_and(|unit| unit.text() != "rad") || one.is_percent {
        return None;
    }
    let says = format!("{} radians in degrees", one.text);
    if !one.is_of_pi {
        let typed = format!("{} × 180/π", one.factor());
        let (lines, value) =
            super::formula::worked(Lines::default(), None, &typed, "π radians are 180°")?;
        let (lines, near) = super::formula::about(lines, None, &value);
        return Some(Told::lines(
            says,
            lines,
            Answer::value(near.clone()?).written(format!("{}°", near?)),
        ));
    }
    let value = &one.value * from_int(180);
    let lines = Lines::start(&format!("{} × 180/π", one.factor()))
        .then(&written(&value), "π radians are 180°");
    Some(degrees(lines, says, &value))
}

fn back_bearing(found: &Found) -> Option<Told> {
    let [one] = found.amounts()?;
    let value = angle(one)?.clone();
    if value.is_negative() || value >= from_int(360) {
        return None;
    }
    let (sign, back) = if value < from_int(180) {
        ('+', value + from_int(180))
    } else {
        ('-', value - from_int(180))
    };
    let three = format!("{:0>3}", written(&back));
    let lines = Lines::start(&format!("{} {sign} 180", show(&one.value)))
        .then(&written(&back), "The way back is half a turn from the way there")
        .end(format!("The bearing is {three}°."));
    Some(Told::lines(
        format!("The bearing back from {}°", one.text),
        lines,
        Answer { unit: Some("°".into()), ..Answer::value(written(&back)) }
            .written(format!("{three}°")),
    ))
}
