//! Sides and angles of triangles: Pythagoras, sine, cosine and tangent, the sine rule and the cosine rule.

use super::{Answer, Found, TaskKind, Told, formula};
use crate::geometry::{pythagoras, trig_angle, trig_side};
use crate::typed::text::{Amount, Measure, written};
use algebra::write::text;
use algebra::{Expr, Rational};
use num_traits::Signed;
use std::cmp::Ordering;
use teaching::ids::MethodId;
use teaching::typeset::Lines;

const PYTHAGORAS: (&str, MethodId) = ("pythagoras", pythagoras::method::FORMULA);
const SIDE: (&str, MethodId) = ("trig.side", trig_side::method::LABEL_AND_CHOOSE);
const ANGLE: (&str, MethodId) = ("trig.angle", trig_angle::method::LABEL_AND_CHOOSE);

#[rustfmt::skip]
pub(super) const KINDS: &[TaskKind] = &[
    TaskKind::of(PYTHAGORAS, &[
        "hypotenuse with|of|if? legs|sides|shorter? are|of? sides? # and? #",
        "length? of? hypotenuse of|for|in right? angled? triangle? with|has|whose? two? shorter|other? legs|sides? are|of? length|lengths? # and? #",
        "hypotenuse of|for right? angled|triangle? triangle? with legs|sides|shorter? of? sides? # and? #", "hypotenuse # and? #",
        "right? angled|triangle? triangle? with|has|having? legs|sides|shorter? of? # and? # find|what? hypotenuse|is? hypotenuse?",
        "right triangle with|has? legs|sides of? # and # find|what? is? hypotenuse",
        "right angled triangle with|has? shorter? legs|sides of? # and # find|what? is? hypotenuse",
        "right angled triangle with|has? shorter? legs|sides of? # and # find|what? is? hypotenuse", "pythagoras =, find? _?",
        "right angled|triangle triangle? with|where|if|when? =, find|what? is? _?",
        "_ if|when|where|given =, in right angled|triangle triangle?",
        "pythagoras legs? # and? #", "legs # and # find? hypotenuse", "legs are # and # find hypotenuse",
        "diagonal of rectangle # by|x|× # ", "diagonal of # by|x|× # rectangle", "find hypotenuse if? legs are? # and #",
    ], hypotenuse),
    TaskKind::of(PYTHAGORAS, &[
        "other? leg|side with hypotenuse # and other? leg|side #", "leg|side with hypotenuse # and other? leg|side #",
        "right? angled|triangle? triangle? with? hypotenuse # one|and|other? leg|side of? # find? other|missing|third|remaining leg|side?",
        "right triangle with|has? hypotenuse of|is? # and? one|other|another? leg|side of|is? # find? other|missing|third|remaining leg|side?",
        "right angled triangle with|has? hypotenuse of|is? # and? one|other|another? leg|side of|is? # find? other|missing|third|remaining leg|side?",
        "right angled triangle with|has? hypotenuse of|is? # and? one|other|another? leg|side of|is? # find? other|missing|third|remaining leg|side?",
        "hypotenuse of|is? # and? one|other? leg|side of|is? # find? other|missing|third? leg|side?",
        "find missing|other|third? leg|side if? hypotenuse is? # and? one|other? leg|side is? #",
        "hypotenuse # leg|side # find other leg|side?", "missing|other leg|side of right triangle with? hypotenuse # and? leg|side? #",
    ], leg),
    TaskKind::of(PYTHAGORAS, &[
        "is triangle with sides #, right|right-angled angled?", "is triangle with sides #, right angled", "is #, right triangle",
        "is #, right angled? triangle", "is #, pythagorean triple", "is triangle #, right angled", "is triangle #, right angled?",
        "is #, triangle right angled?", "is #, right angled triangle", "could|can #, be|make|form sides|right of? right? angled? triangle",
        "is right? angled? triangle with sides #, possible", "does #, make|form right? angled? triangle",
        "do #, make|form right angled triangle", "do #, make|form right angled? triangle",
    ], right_or_not),
    TaskKind::of(SIDE, &[
        "right? angled|triangle? triangle? with? angle of? # and? hypotenuse of|is? # find|what? is? length? of? opposite|adjacent side?",
        "right angled triangle with|has? angle of? # and? hypotenuse of|is? # find|what? is? length? of? opposite|adjacent side?",
        "right angled? triangle with|has? angle of? # and? hypotenuse of|is? # find|what? is? length? of? opposite|adjacent side?",
        "angle # hypotenuse # find opposite|adjacent side?", "opposite|adjacent side? if|with|when angle # and? hypotenuse #",
    ],
        |f| {
            let [angle, c] = f.amounts()?;
            side(angle, "hypotenuse", c, wanted(f)?)
        },
    ),
    TaskKind::of(SIDE, &[
        "right? angled|triangle? triangle? with? hypotenuse of|is? # and? angle of|is? # find|what? is? length? of? opposite|adjacent side?",
        "hypotenuse # angle # find opposite|adjacent side?",
    ],
        |f| {
            let [c, angle] = f.amounts()?;
            side(angle, "hypotenuse", c, wanted(f)?)
        },
    ),
    TaskKind::of(SIDE, &[
        "right? angled|triangle? triangle? with? angle of? # and? adjacent side? of|is? # find|what? is? length? of? opposite|hypotenuse side?",
        "angle # adjacent # find opposite|hypotenuse side?",
    ],
        |f| {
            let [angle, c] = f.amounts()?;
            side(angle, "adjacent", c, wanted(f)?)
        },
    ),
    TaskKind::of(SIDE, &[
        "right? angled|triangle? triangle? with? angle of? # and? opposite side? of|is? # find|what? is? length? of? adjacent|hypotenuse side?",
        "angle # opposite # find adjacent|hypotenuse side?",
    ],
        |f| {
            let [angle, c] = f.amounts()?;
            side(angle, "opposite", c, wanted(f)?)
        },
    ),
    TaskKind::of(ANGLE, &[
        "right? angled|triangle? triangle? with? opposite|adjacent|hypotenuse side? of|is? # and? opposite|adjacent|hypotenuse side? of|is? # find|what? is? angle?",
        "find angle if? opposite|adjacent|hypotenuse side? is? # and? opposite|adjacent|hypotenuse side? is? #",
        "angle with opposite|adjacent|hypotenuse # and opposite|adjacent|hypotenuse #",
        "angle in|of|if|when? right? angled? triangle? with|where|if|has? opposite|adjacent|hypotenuse side? is|of? # and? opposite|adjacent|hypotenuse side? is|of? #",
        "opposite|adjacent|hypotenuse is? # and? opposite|adjacent|hypotenuse is? # find|what is? angle",
    ], angle),
    TaskKind::beside("trig.side", "Cosine rule", &[
        "cosine rule with? =, find? _", "use cosine rule with? =, find? _",
        "use cosine rule to? find|calculate _ when|if|given|where|with =,", "cosine rule to? find|calculate _ when|if|given|where|with =,",
        "cosine rule find _ if|when|given =,", "law of cosines =, find? _", "triangle with|has? =, find? side _",
        "find side? _ by? using cosine rule with|if? =,", "in triangle _ =, find|calculate|what is? angle|side|length? of? _",
        "triangle _ has|with =, find|calculate|what is? angle|side|length? of? _",
    ], any_rule),
    TaskKind::beside("trig.side", "Sine rule", &[
        "sine rule with? =, find? _", "use sine rule with? =, find? _", "use sine rule to? find|calculate _ when|if|given|where|with =,",
        "sine rule to? find|calculate _ when|if|given|where|with =,", "sine rule find _ if|when|given =,", "law of sines =, find? _",
        "find side? _ by? using sine rule with|if? =,", "triangle =, find _", "find _ if|when|given|in triangle =,",
    ], any_rule),
    TaskKind::beside("area.triangle", "Area by two sides and an angle", &[
        "area of triangle with|if|when|where? =,", "triangle with? =, find? area",
        "area of triangle sides # and # with|and angle|included angle? between? them? of? #",
        "area of triangle with sides # and # and included? angle of? between? them? #",
        "area of triangle with? two sides # and # and? included? angle # between?",
    ], area),
];

/// The kind of a side by an angle.
pub(super) fn side_kind() -> &'static TaskKind {
    KINDS.iter().find(|kind| kind.skill == SIDE.0 && kind.topic.is_none()).unwrap_or(&KINDS[0])
}

/// The kind of an angle by two sides.
pub(super) fn angle_kind() -> &'static TaskKind {
    KINDS.iter().find(|kind| kind.skill == ANGLE.0).unwrap_or(&KINDS[0])
}

fn wanted(found: &Found) -> Option<&str> {
    found
        .words
        .iter()
        .rev()
        .map(String::as_str)
        .find(|word| matches!(*word, "opposite" | "adjacent" | "hypotenuse"))
}

/// Lengths in one unit: their values, and the unit.
fn lengths<'a>(all: &[&'a Amount]) -> Option<(Vec<Rational>, Option<&'a Measure>)> {
    let unit = all.first()?.unit.as_ref();
    let values = all.iter().map(|one| match (&one.unit, unit) {
        (Some(_), Some(unit)) => one.value_in(unit),
        (None, None) => Some(one.value.clone()),
        _ => None,
    });
    let values: Vec<Rational> = values.collect::<Option<_>>()?;
    let positive = all.iter().all(|one| !one.is_percent && !one.is_of_pi)
        && values.iter().all(Signed::is_positive);
    positive.then_some((values, unit))
}

/// A length as the answer, with its unit.
fn length(
    lines: Lines,
    says: String,
    name: Option<&str>,
    value: &Expr,
    unit: Option<&Measure>,
    keep_exact: bool,
) -> Told {
    let exact = text(value);
    let (lines, near) = formula::about(lines, name, value);
    let shown = match near {
        Some(near) if !keep_exact => near,
        _ => exact,
    };
    let (lines, text) = match unit {
        Some(unit) => (lines.end(format!("It is {}.", unit.with(&shown))), unit.with(&shown)),
        None => (lines, shown.clone()),
    };
    Told::lines(
        says,
        lines,
        Answer { unit: unit.map(Measure::shown), ..Answer::value(shown) }.written(text),
    )
}

pub(super) fn hypotenuse(found: &Found) -> Option<Told> {
    let all: Vec<&Amount> =
        found.numbers.iter().chain(found.values.iter().map(|(_, value)| value)).collect();
    let [a, b] = all[..] else { return None };
    if found.values.iter().any(|(name, _)| name == "c") {
        return leg(&Found {
            numbers: vec![
                found.values.iter().find(|(name, _)| name == "c")?.1.clone(),
                found.values.iter().find(|(name, _)| name != "c")?.1.clone(),
            ],
            ..Found::default()
        });
    }
    let (values, unit) = lengths(&[a, b])?;
    let typed = format!("sqrt({}^2 + {}^2)", bracketed(&values[0]), bracketed(&values[1]));
    let lines = Lines::default().say("$c^2 = a^2 + b^2$", "Pythagoras: c is the hypotenuse");
    let (lines, value) =
        formula::worked(lines, Some("c"), &typed, "Put in both legs and take the root")?;
    Some(length(
        lines,
        format!("The hypotenuse with legs {} and {}", a.shown(), b.shown()),
        Some("c"),
        &value,
        unit,
        true,
    ))
}

fn bracketed(value: &Rational) -> String {
    let text = written(value);
    if text.contains(['-', '/']) { format!("({text})") } else { text }
}

pub(super) fn leg(found: &Found) -> Option<Told> {
    let [c, a] = found.amounts()?;
    let (values, unit) = lengths(&[c, a])?;
    if values[0] <= values[1] {
        return None;
    }
    let typed = format!("sqrt({}^2 - {}^2)", bracketed(&values[0]), bracketed(&values[1]));
    let lines = Lines::default().say("$b^2 = c^2 - a^2$", "Pythagoras: c is the hypotenuse");
    let (lines, value) =
        formula::worked(lines, Some("b"), &typed, "Put in what is known and take the root")?;
    Some(length(
        lines,
        format!("The leg beside hypotenuse {} and leg {}", c.shown(), a.shown()),
        Some("b"),
        &value,
        unit,
        true,
    ))
}

fn right_or_not(found: &Found) -> Option<Told> {
    let list = found.list()?;
    let [_, _, _] = list else { return None };
    let (mut values, _) = lengths(&list.iter().collect::<Vec<_>>())?;
    values.sort();
    let (a, b, c) = (&values[0], &values[1], &values[2]);
    let square = |value: &Rational| value * value;
    let (sum, whole) = (square(a) + square(b), square(c));
    let is_right = sum == whole;
    let sign = match sum.cmp(&whole) {
        Ordering::Less => "<",
        Ordering::Equal => "=",
        Ordering::Greater => ">",
    };
    let lines = Lines::default()
        .work(
            &format!("{}^2 + {}^2 = {}", bracketed(a), bracketed(b), written(&sum)),
            "The squares of the two shorter sides",
        )
        .work(&format!("{}^2 = {}", bracketed(c), written(&whole)), "The square of the longest")
        .work(&format!("{} {sign} {}", written(&sum), written(&whole)), "Compare")
        .end(if is_right {
            "The triangle has a right angle."
        } else {
            "The triangle has no right angle."
        });
    let shown: Vec<String> = list.iter().map(Amount::shown).collect();
    Some(Told::lines(
        format!("Whether a triangle with sides {} has a right angle", super::joined(&shown)),
        lines,
        Answer::words(if is_right { "yes" } else { "no" }),
    ))
}

/// An angle between 0° and 90°, in degrees.
fn acute(amount: &Amount) -> Option<String> {
    in_degrees(amount).filter(|_| amount.value < algebra::number::from_int(90))
}

fn in_degrees(amount: &Amount) -> Option<String> {
    let fits = amount.unit.as_ref().is_none_or(|unit| unit.text() == "°");
    let sized = amount.is_positive() && amount.value < algebra::number::from_int(180);
    (fits && sized && !amount.is_percent && !amount.is_of_pi).then(|| amount.text.clone())
}

pub(super) fn side(angle: &Amount, known: &str, by: &Amount, wanted: &str) -> Option<Told> {
    let (degrees, (values, unit)) = (acute(angle)?, lengths(&[by])?);
    let n = bracketed(&values[0]);
    let (ratio, typed) = match (known, wanted) {
        ("hypotenuse", "opposite") => ("sin", format!("{n} × sin({degrees}°)")),
        ("hypotenuse", "adjacent") => ("cos", format!("{n} × cos({degrees}°)")),
        ("adjacent", "opposite") => ("tan", format!("{n} × tan({degrees}°)")),
        ("adjacent", "hypotenuse") => ("cos", format!("{n}/cos({degrees}°)")),
        ("opposite", "hypotenuse") => ("sin", format!("{n}/sin({degrees}°)")),
        ("opposite", "adjacent") => ("tan", format!("{n}/tan({degrees}°)")),
        _ => return None,
    };
    let rule = match ratio {
        "sin" => "the sine is the opposite side over the hypotenuse",
        "cos" => "the cosine is the adjacent side over the hypotenuse",
        _ => "the tangent is the opposite side over the adjacent side",
    };
    let lines = Lines::default().say(
        format!("The {known} side is known, the {wanted} side is wanted: {rule}.")
            .replace("hypotenuse side", "hypotenuse"),
        "Label, then choose",
    );
    let (lines, value) = trigonometric(lines, Some("x"), &typed)?;
    let says = format!("The {wanted} side with angle {degrees}° and {known} {}", by.shown());
    Some(length(lines, says, Some("x"), &value, unit, false))
}

/// A value with sines of degrees: worked exactly where the sine is known, else straight to a decimal.
fn trigonometric(lines: Lines, name: Option<&str>, typed: &str) -> Option<(Lines, Expr)> {
    let whole = formula::expression(typed)?;
    let simplest = teaching::tasks::simplify(&whole).ok()?;
    let last = simplest.working.last_line().map(algebra::write::text_line)?;
    // A sine that has no value in roots stays as it was typed.
    if ["sin", "cos", "tan"].iter().any(|f| last.contains(f)) {
        let led = name.map_or_else(|| typed.to_owned(), |name| format!("{name} = {typed}"));
        return Some((lines.begin(&led, "Put in what is known"), whole));
    }
    formula::worked(lines, name, typed, "Put in what is known")
}

pub(super) fn angle(found: &Found) -> Option<Told> {
    let [a, b] = found.amounts()?;
    let (values, _) = lengths(&[a, b])?;
    let names: Vec<&str> = found
        .words
        .iter()
        .map(String::as_str)
        .filter(|word| matches!(*word, "opposite" | "adjacent" | "hypotenuse"))
        .collect();
    let [first, second] = names[..] else { return None };
    let of = |name: &str| {
        if first == name { Some(&values[0]) } else { (second == name).then(|| &values[1]) }
    };
    let (ratio, above, below) = match (of("opposite"), of("adjacent"), of("hypotenuse")) {
        (Some(o), _, Some(h)) if o < h => ("sin", o, h),
        (_, Some(a), Some(h)) if a < h => ("cos", a, h),
        (Some(o), Some(a), _) => ("tan", o, a),
        _ => return None,
    };
    let quotient = format!("{}/{}", written(above), bracketed(below));
    let lines = Lines::default().say(
        format!("${ratio}(x) = {quotient}$")
            .replace("sin", "\\sin")
            .replace("cos", "\\cos")
            .replace("tan", "\\tan"),
        "The two sides that are known",
    );
    let typed = format!("arc{ratio}({quotient}) × 180/π");
    let value = formula::expression(&typed)?;
    let near = teaching::tasks::rounded(&value, 1)?;
    let whole = near.strip_suffix(".0").unwrap_or(&near).to_owned();
    let lines = lines.begin(&typed, "Backwards from the ratio, in degrees");
    let lines = match formula::rational(&value) {
        Some(exact) => lines.then(&written(&exact), "Work it out"),
        None => lines.round(&format!("≈ {near}"), "To 1 decimal place"),
    };
    let value = if formula::rational(&value).is_some() { whole } else { near };
    let lines = lines.end(format!("The angle is {value}°."));
    let says = format!("The angle with {first} {} and {second} {}", a.shown(), b.shown());
    Some(Told::lines(
        says,
        lines,
        Answer { unit: Some("°".into()), ..Answer::value(value.clone()) }
            .written(format!("{value}°")),
    ))
}

/// Sides a, b, c and angles A, B, C of a triangle, as they are told.
struct Triangle<'a>(&'a [(String, Amount)]);

impl Triangle<'_> {
    fn get(&self, name: &str) -> Option<&Amount> {
        self.0.iter().find(|(known, _)| known == name).map(|(_, value)| value)
    }

    fn side(&self, name: &str) -> Option<String> {
        let side = self.get(name).filter(|side| side.is_positive())?;
        Some(side.factor())
    }

    fn angle(&self, name: &str) -> Option<String> {
        in_degrees(self.get(name)?)
    }

    fn unit(&self) -> Option<&Measure> {
        self.0
            .iter()
            .find(|(name, _)| name.chars().all(char::is_lowercase))
            .and_then(|(_, side)| side.unit.as_ref())
    }
}

const LETTERS: [&str; 3] = ["a", "b", "c"];

/// A side by its ends, `AB`, as the letter of the corner opposite, `c`; an angle `ABC` as its corner, `B`.
fn opposite(name: &str) -> String {
    let corners: Vec<char> = name.chars().collect();
    match corners[..] {
        [one, other] if "ABC".contains(one) && "ABC".contains(other) && one != other => "abc"
            .chars()
            .find(|c| !name.to_lowercase().contains(*c))
            .map_or_else(|| name.to_owned(), String::from),
        [_, corner, _] if corners.iter().all(|c| "ABC".contains(*c)) => corner.to_string(),
        _ => name.to_owned(),
    }
}

/// The cosine rule where two sides and the angle between them, or three sides, are known; else the sine rule.
fn any_rule(found: &Found) -> Option<Told> {
    let wanted = opposite(found.names.last()?);
    let wanted = wanted.as_str();
    let values: Vec<(String, Amount)> =
        found.values.iter().map(|(name, value)| (opposite(name), value.clone())).collect();
    let triangle = Triangle(&values);
    let is_side = LETTERS.contains(&wanted);
    let own = wanted.to_lowercase();
    if !LETTERS.contains(&own.as_str()) || wanted.chars().count() != 1 {
        return None;
    }
    let others: Vec<&str> = LETTERS.into_iter().filter(|one| *one != own).collect();
    let (p, q) = (others[0], others[1]);
    let upper = own.to_uppercase();
    let says = format!(
        "{wanted} in a triangle with {}",
        super::joined(
            &found
                .values
                .iter()
                .map(|(name, value)| format!("{name} = {}", value.shown()))
                .collect::<Vec<_>>()
        )
    );
    if is_side {
        if let (Some(one), Some(other), Some(angle)) =
            (triangle.side(p), triangle.side(q), triangle.angle(&upper))
        {
            let lines = Lines::default().say(
                format!("${own}^2 = {p}^2 + {q}^2 - 2{p}{q}\\cos {upper}$"),
                "The cosine rule",
            );
            let typed = format!("sqrt({one}^2 + {other}^2 - 2 × {one} × {other} × cos({angle}°))");
            let (lines, value) = trigonometric(lines, Some(&own), &typed)?;
            let exact = !text(&value).contains("cos");
            return Some(length(lines, says, Some(&own), &value, triangle.unit(), exact));
        }
        let known = others.iter().find(|name| triangle.side(name).is_some())?;
        let (side, opposite) = (triangle.side(known)?, triangle.angle(&known.to_uppercase()));
        // The third angle from the two that are told.
        let angle = |name: &str| -> Option<String> {
            triangle.angle(&name.to_uppercase()).or_else(|| {
                let rest: Vec<Rational> = LETTERS
                    .iter()
                    .filter(|one| **one != name)
                    .map(|one| triangle.get(&one.to_uppercase()).map(|a| a.value.clone()))
                    .collect::<Option<_>>()?;
                let value = algebra::number::from_int(180) - &rest[0] - &rest[1];
                value.is_positive().then(|| written(&value))
            })
        };
        let (own_angle, other_angle) = (angle(&own)?, opposite.or_else(|| angle(known))?);
        let lines = Lines::default().say(
            format!(
                "$\\frac{{{own}}}{{\\sin {upper}}} = \\frac{{{known}}}{{\\sin {}}}$",
                known.to_uppercase()
            ),
            "The sine rule",
        );
        let typed = format!("{side} × sin({own_angle}°)/sin({other_angle}°)");
        let (lines, value) = trigonometric(lines, Some(&own), &typed)?;
        return Some(length(lines, says, Some(&own), &value, triangle.unit(), false));
    }
    let (lines, typed) = match (triangle.side(&own), triangle.side(p), triangle.side(q)) {
        (Some(a), Some(b), Some(c)) => {
            let rule = format!("$\\cos {wanted} = \\frac{{{p}^2 + {q}^2 - {own}^2}}{{2{p}{q}}}$");
            (
                Lines::default().say(rule, "The cosine rule"),
                format!("arccos(({b}^2 + {c}^2 - {a}^2)/(2 × {b} × {c})) × 180/π"),
            )
        }
        (Some(a), ..) => {
            let known = others.iter().find(|name| {
                triangle.side(name).is_some() && triangle.angle(&name.to_uppercase()).is_some()
            })?;
            let (side, angle) = (triangle.side(known)?, triangle.angle(&known.to_uppercase())?);
            // With the shorter side opposite there may be two triangles.
            if triangle.get(&own)?.value > triangle.get(known)?.value {
                return None;
            }
            let rule = format!(
                "$\\frac{{\\sin {wanted}}}{{{own}}} = \\frac{{\\sin {}}}{{{known}}}$",
                known.to_uppercase()
            );
            (
                Lines::default().say(rule, "The sine rule"),
                format!("arcsin({a} × sin({angle}°)/{side}) × 180/π"),
            )
        }
        _ => return None,
    };
    let value = formula::expression(&typed)?;
    let near = teaching::tasks::rounded(&value, 1)?;
    let lines = lines.begin(&typed, "Backwards from the ratio, in degrees");
    let (lines, shown) = match formula::rational(&value) {
        Some(exact) => (lines.then(&written(&exact), "Work it out"), written(&exact)),
        None => (lines.round(&format!("≈ {near}"), "To 1 decimal place"), near),
    };
    let lines = lines.end(format!("The angle is {shown}°."));
    Some(Told::lines(
        says,
        lines,
        Answer { unit: Some("°".into()), ..Answer::value(shown.clone()) }
            .written(format!("{shown}°")),
    ))
}

/// Half the product of two sides and the sine between them.
fn area(found: &Found) -> Option<Told> {
    let triangle = Triangle(&found.values);
    let told = if let [a, b, angle] = &found.numbers[..] {
        let (values, _) = lengths(&[a, b])?;
        Some((bracketed(&values[0]), bracketed(&values[1]), in_degrees(angle)?, a.unit.as_ref()))
    } else {
        LETTERS.iter().find_map(|own| {
            let others: Vec<&&str> = LETTERS.iter().filter(|one| *one != own).collect();
            let angle = triangle.angle(&own.to_uppercase())?;
            Some((triangle.side(others[0])?, triangle.side(others[1])?, angle, triangle.unit()))
        })
    };
    let (one, other, degrees, unit) = told?;
    let lines = Lines::default()
        .say("$A = \\tfrac{1}{2}ab\\sin C$", "Two sides and the angle between them");
    let (lines, value) =
        trigonometric(lines, Some("A"), &format!("1/2 × {one} × {other} × sin({degrees}°)"))?;
    let exact = !text(&value).contains("sin");
    let square = unit.map(|unit| unit.to(2));
    Some(length(
        lines,
        format!("The area of a triangle with sides {one} and {other} and {degrees}° between them"),
        Some("A"),
        &value,
        square.as_ref(),
        exact,
    ))
}
