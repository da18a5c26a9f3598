//! Pictures that a teacher chooses by hand: each is drawn from a few values that are typed, and what can be worked
//! out of them is worked out here.

use super::BadLesson;
use algebra::{Line, Rational, read_expr, read_line};
use num_traits::ToPrimitive;
use serde::{Deserialize, Serialize};
use skills::pictured;
use teaching::figure::{Circle, Figure, Mark, Polygon};
use teaching::picture::of_sides;
use teaching::tasks::{evaluate, expand};
use utoipa::ToSchema;

/// The pictures that can be chosen.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum PictureKind {
    NumberLine,
    PercentBar,
    Strips,
    Circles,
    RatioTable,
    Blocks,
    Columns,
    FactorTree,
    Triangle,
    Circle,
    AreaGrid,
    Graph,
    Values,
    Array,
    Counters,
    Balance,
    Hundred,
}

/// A picture that can be chosen, with what is typed for it.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, ToSchema)]
pub struct PictureCard {
    /// Which it is.
    pub kind: PictureKind,
    /// What it is called.
    pub title: String,
    /// What is typed, in order.
    pub fields: Vec<PictureField>,
}

/// A value of a picture.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, ToSchema)]
pub struct PictureField {
    /// What it is.
    pub label: String,
    /// What stands there to begin with.
    pub begins: String,
}

/// A picture with the values that were typed for it.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct PictureOrder {
    /// Which it is.
    pub kind: PictureKind,
    /// Its values, in the order of the fields.
    pub values: Vec<String>,
}

/// Longest value, in characters.
const LONGEST: usize = 120;

type Draw = fn(&[&str]) -> Result<Figure, String>;
/// Labels with what stands there to begin with.
type Fields = &'static [(&'static str, &'static str)];
/// Which it is, its title, its fields, and how it is drawn.
type Known = (PictureKind, &'static str, Fields, Draw);

/// Every picture: which it is, its title, its fields with what stands there to begin with, and how it is drawn.
const PICTURES: &[Known] = &[
    (
        PictureKind::NumberLine,
        "Number line",
        &[("From", "0"), ("To", "10"), ("Points", "3, 7")],
        number_line,
    ),
    (PictureKind::PercentBar, "Percent bar", &[("Percent", "35"), ("Of", "80")], percent_bar),
    (PictureKind::Strips, "Fraction strips", &[("Fractions", "1/2, 3/4")], |v| {
        fractions(v[0]).map(|all| pictured::strips(&all))
    }),
    (PictureKind::Circles, "Fraction circles", &[("Fractions", "1/2, 3/4")], |v| {
        fractions(v[0]).map(|all| pictured::circles(&all))
    }),
    (
        PictureKind::RatioTable,
        "Ratio table",
        &[("Upper row", "jars"), ("Lower row", "frames"), ("Columns", "2:3, 4:6, 10:n")],
        ratio_table,
    ),
    (PictureKind::Blocks, "Base-ten blocks", &[("Number", "347")], blocks),
    (PictureKind::Columns, "Columns with carries", &[("Sum or difference", "346 + 278")], columns),
    (PictureKind::FactorTree, "Factor tree", &[("Number", "60")], factor_tree),
    (
        PictureKind::Triangle,
        "Triangle",
        &[("First side", "3 cm"), ("Second side", "4 cm"), ("Third side", "5 cm")],
        triangle,
    ),
    (PictureKind::Circle, "Circle", &[("Radius", "5 cm"), ("Angle at the centre", "")], circle),
    (PictureKind::AreaGrid, "Area grid", &[("Across", "x + 3"), ("Down", "x + 2")], area_grid),
    (PictureKind::Graph, "Graph", &[("Curve or equation", "x^2 - 4 = x + 2")], graph),
    (
        PictureKind::Values,
        "Table of values",
        &[("Rule", "2x + 1"), ("From", "0"), ("To", "5")],
        values,
    ),
    (PictureKind::Array, "Dot array", &[("Rows", "3"), ("In a row", "5")], array),
    (PictureKind::Counters, "Counters", &[("Worth 1", "5"), ("Worth −1", "3")], counters),
    (PictureKind::Balance, "Scales", &[("Equation", "2x + 3 = 11")], balance),
    (PictureKind::Hundred, "Hundred square", &[("Marked", "6, 12, 18, 24, 30")], hundred),
];

/// Every picture that can be chosen.
#[must_use]
pub fn picture_cards() -> Vec<PictureCard> {
    let field = |&(label, begins): &(&str, &str)| PictureField {
        label: label.into(),
        begins: begins.into(),
    };
    PICTURES
        .iter()
        .map(|(kind, title, fields, _)| PictureCard {
            kind: *kind,
            title: (*title).into(),
            fields: fields.iter().map(field).collect(),
        })
        .collect()
}

impl PictureOrder {
    /// The picture.
    ///
    /// # Errors
    /// [`BadLesson`] with a sentence that says what to type.
    pub fn figure(&self) -> Result<Figure, BadLesson> {
        let (.., fields, draw) = PICTURES
            .iter()
            .find(|(kind, ..)| *kind == self.kind)
            .ok_or_else(|| BadLesson::because("There is no such picture."))?;
        if self.values.len() != fields.len()
            || self.values.iter().any(|value| value.chars().count() > LONGEST)
        {
            return Err(BadLesson::because("Keep each value to 120 characters."));
        }
        let values: Vec<&str> = self.values.iter().map(|value| value.trim()).collect();
        draw(&values).map_err(BadLesson)
    }
}

/// A whole number within these bounds.
fn whole(text: &str, least: i64, most: i64) -> Result<i64, String> {
    text.replace('−', "-")
        .parse()
        .ok()
        .filter(|value| (least..=most).contains(value))
        .ok_or_else(|| format!("Type a whole number from {least} to {most}."))
}

/// The parts between commas.
fn parts(text: &str) -> Vec<&str> {
    text.split(',').map(str::trim).filter(|part| !part.is_empty()).collect()
}

/// What a number or an expression without letters is worth.
fn value(text: &str) -> Option<Rational> {
    let expr = read_expr(text).ok()?;
    match evaluate(&expr).ok()?.working.last_line()? {
        Line::Expression(value) => value.as_plain_number(),
        _ => None,
    }
}

fn place(text: &str) -> Option<f64> {
    value(text)?.to_f64().filter(|place| place.is_finite())
}

fn number_line(v: &[&str]) -> Result<Figure, String> {
    let (from, to) = (whole(v[0], -1000, 1000)?, whole(v[1], -1000, 1000)?);
    if to <= from || to - from > 60 {
        return Err("Let the line end behind where it begins, by 60 at most.".into());
    }
    let points = parts(v[2]).into_iter().take(12).map(|label| {
        #[expect(clippy::cast_precision_loss, reason = "at most a thousand")]
        let within = |at: &f64| (from as f64..=to as f64).contains(at);
        let at = place(label).filter(within);
        at.map(|at| Mark { at, label: label.to_owned() }).ok_or_else(|| {
            format!(
                "Type points between {from} and {to}, with commas between them. “{label}” is none."
            )
        })
    });
    let end = |n: i64| i32::try_from(n).unwrap_or(0);
    Ok(Figure::NumberLine {
        from: end(from),
        to: end(to),
        points: points.collect::<Result<_, _>>()?,
    })
}

fn percent_bar(v: &[&str]) -> Result<Figure, String> {
    let says = "Type a percent from 0 to 200, and what it is of.";
    let percent = value(v[0].trim_end_matches('%')).ok_or(says)?;
    let shown = percent.to_f64().filter(|percent| (0.0..=200.0).contains(percent)).ok_or(says)?;
    let (part, whole) = match value(v[1]) {
        Some(whole) => (
            algebra::number::show(&(whole * percent / algebra::number::from_int(100))),
            v[1].to_owned(),
        ),
        // A letter is asked for.
        None if v[1].chars().count() <= 12 && !v[1].is_empty() => (String::new(), v[1].to_owned()),
        None => return Err(says.into()),
    };
    Ok(Figure::PercentBar { percent: shown, part, whole })
}

fn fractions(text: &str) -> Result<Vec<(i64, i64)>, String> {
    let says = "Type fractions such as 1/2, 3/4: up to six, with at most 20 parts.";
    let all = parts(text);
    if all.is_empty() || all.len() > 6 {
        return Err(says.into());
    }
    all.into_iter()
        .map(|part| {
            let (n, d) = part.split_once('/').ok_or(says)?;
            let (n, d) = (
                whole(n.trim(), 0, 20).map_err(|_| says)?,
                whole(d.trim(), 1, 20).map_err(|_| says)?,
            );
            if n > d { Err(says.to_owned()) } else { Ok((n, d)) }
        })
        .collect()
}

fn ratio_table(v: &[&str]) -> Result<Figure, String> {
    let says = "Type columns such as 2:3, 4:6, 10:n: up to eight.";
    let columns: Option<Vec<[String; 2]>> = parts(v[2])
        .into_iter()
        .map(|column| {
            column.split_once(':').map(|(a, b)| [a.trim().to_owned(), b.trim().to_owned()])
        })
        .collect();
    let columns = columns.filter(|columns| (1..=8).contains(&columns.len())).ok_or(says)?;
    Ok(Figure::RatioTable { rows: [v[0].to_owned(), v[1].to_owned()], columns })
}

fn blocks(v: &[&str]) -> Result<Figure, String> {
    let number = whole(v[0], 0, 999)?;
    Ok(pictured::blocks([number / 100, number / 10 % 10, number % 10]))
}

/// A sum or a difference of two whole numbers, worked in columns.
fn columns(v: &[&str]) -> Result<Figure, String> {
    let says =
        "Type a sum or a difference of whole numbers, such as 346 + 278; the larger one first.";
    let text = v[0].replace('−', "-");
    let (at, sign) = text.char_indices().find(|(_, sign)| "+-".contains(*sign)).ok_or(says)?;
    let (a, b) = (text[..at].trim(), text[at + 1..].trim());
    let (a, b) =
        (whole(a, 0, 9_999_999).map_err(|_| says)?, whole(b, 0, 9_999_999).map_err(|_| says)?);
    if sign == '-' && b > a {
        return Err(says.into());
    }
    let digits = |mut number: i64| -> Vec<i64> {
        let mut found = vec![number % 10];
        while number > 9 {
            number /= 10;
            found.push(number % 10);
        }
        found
    };
    let (upper, lower) = (digits(a), digits(b));
    let mut carries = vec![String::new()];
    let mut carry = 0;
    for place in 0..upper.len().max(lower.len()) {
        let digit = |row: &[i64]| row.get(place).copied().unwrap_or(0);
        let (x, y) = (digit(&upper), digit(&lower));
        carry = match sign {
            '+' => i64::from(x + y + carry > 9),
            _ => i64::from(x - y - carry < 0),
        };
        carries.push(if carry > 0 { "1".into() } else { String::new() });
    }
    let result = digits(if sign == '+' { a + b } else { a - b });
    let sign = sign.to_string();
    let column = pictured::Column { rows: [&upper, &lower], sign: &sign, carries, result };
    Ok(column.after(upper.len().max(lower.len())))
}

fn factor_tree(v: &[&str]) -> Result<Figure, String> {
    let mut rest = whole(v[0], 2, 100_000)?;
    let mut primes = Vec::new();
    let mut by = 2;
    while rest > 1 {
        if rest % by == 0 {
            primes.push(by);
            rest /= by;
        } else {
            by += 1;
        }
    }
    Ok(pictured::ringed_pairs(&primes, false))
}

/// The number that a label begins with.
fn length(label: &str) -> Option<f64> {
    let number: String =
        label.chars().take_while(|sign| sign.is_ascii_digit() || *sign == '.').collect();
    number.parse().ok().filter(|length| *length > 0.0 && *length < 1e6)
}

/// A triangle to scale by its three sides.
fn triangle(v: &[&str]) -> Result<Figure, String> {
    let says = "Type three sides such as 3 cm, 4 cm and 5 cm.";
    let sides: Option<Vec<f64>> = v.iter().map(|side| length(side)).collect();
    let Some(&[a, b, c]) = sides.as_deref() else { return Err(says.into()) };
    if a + b <= c || b + c <= a || c + a <= b {
        return Err(
            "These three sides make no triangle: two of them must be longer than the third.".into(),
        );
    }
    // The first side lies at the bottom; the law of cosines finds the corner above it.
    let x = (a * a + c * c - b * b) / (2.0 * a);
    let y = (c * c - x * x).max(0.0).sqrt();
    let scale = 10.0 / a.max(b).max(c);
    let corner = |x: f64, y: f64| [x * scale, y * scale];
    let squares = [a * a, b * b, c * c];
    let is_right = |hypotenuse: usize| {
        let others: f64 = squares.iter().sum::<f64>() - squares[hypotenuse];
        (others - squares[hypotenuse]).abs() < 1e-9 * others
    };
    // The corner across from each side.
    let right = [2, 0, 1]
        .into_iter()
        .enumerate()
        .filter(|(side, _)| is_right(*side))
        .map(|(_, corner)| corner);
    Ok(Polygon {
        corners: vec![corner(0.0, 0.0), corner(a, 0.0), corner(x, y)],
        sides: v.iter().map(|side| (*side).to_owned()).collect(),
        right: right.collect(),
        ..Polygon::default()
    }
    .into())
}

fn circle(v: &[&str]) -> Result<Figure, String> {
    let mut found = Circle { radius: v[0].to_owned(), ..Circle::default() };
    if !v[1].is_empty() {
        let says = "Type an angle from 1° to 359°, or nothing.";
        let degrees = length(v[1]).filter(|degrees| (1.0..360.0).contains(degrees)).ok_or(says)?;
        found.arc = Some([0.0, degrees]);
        found.central = v[1].to_owned();
    }
    Ok(found.into())
}

/// The terms of a sum, as they are written.
fn terms(text: &str) -> Vec<String> {
    let mut found = vec![String::new()];
    for sign in text.chars().filter(|sign| !sign.is_whitespace()) {
        let last = found.len() - 1;
        if "+-−".contains(sign) && !found[last].is_empty() {
            found.push(if sign == '+' { String::new() } else { "-".into() });
        } else if sign != '+' {
            found[last].push(if sign == '−' { '-' } else { sign });
        }
    }
    found
}

fn area_grid(v: &[&str]) -> Result<Figure, String> {
    let says = "Type two sums such as x + 3 and x + 2, of up to four terms.";
    let (across, down) = (terms(v[0]), terms(v[1]));
    if across.len() > 4 || down.len() > 4 {
        return Err(says.into());
    }
    let product = |a: &str, b: &str| -> Option<String> {
        let expr = read_expr(&format!("({a})*({b})")).ok()?;
        expand(&expr).ok()?.working.last_line().map(algebra::write::text_line)
    };
    let cells: Option<Vec<Vec<String>>> =
        down.iter().map(|b| across.iter().map(|a| product(a, b)).collect()).collect();
    Ok(Figure::AreaGrid { cells: cells.ok_or(says)?, across, down })
}

fn graph(v: &[&str]) -> Result<Figure, String> {
    let says = "Type a curve such as x^2 - 4, or an equation such as x^2 - 4 = x + 2.";
    let text = v[0].strip_prefix("y =").or_else(|| v[0].strip_prefix("y=")).unwrap_or(v[0]);
    let text = if text.contains('=') { text.to_owned() } else { format!("{text} = 0") };
    let line = read_line(&text).map_err(|_| says)?.line;
    of_sides(&line).ok_or_else(|| says.to_owned())
}

/// An expression with a number in place of its letter.
fn put(rule: &str, letter: &str, number: i64) -> String {
    let mut found = String::new();
    let mut word = String::new();
    for sign in rule.chars().chain([' ']) {
        if sign.is_alphabetic() {
            word.push(sign);
            continue;
        }
        found.push_str(&if word == letter {
            format!("({number})")
        } else {
            std::mem::take(&mut word)
        });
        word.clear();
        found.push(sign);
    }
    found
}

fn values(v: &[&str]) -> Result<Figure, String> {
    let says = "Type a rule in one letter, such as 2x + 1.";
    let (from, to) = (whole(v[1], -100, 100)?, whole(v[2], -100, 100)?);
    if !(1..=11).contains(&(to - from)) {
        return Err("Let the table have 2 to 12 columns.".into());
    }
    let rule = v[0].strip_prefix("y =").or_else(|| v[0].strip_prefix("y=")).unwrap_or(v[0]).trim();
    let letters: Vec<String> = read_expr(rule).map_err(|_| says)?.symbols().into_iter().collect();
    let [letter] = &letters[..] else { return Err(says.into()) };
    let worked: Option<Vec<String>> = (from..=to)
        .map(|at| value(&put(rule, letter, at)).map(|value| algebra::number::show(&value)))
        .collect();
    Ok(Figure::Table {
        heads: vec![letter.clone(), rule.to_owned()],
        rows: vec![(from..=to).map(|at| at.to_string()).collect(), worked.ok_or(says)?],
    })
}

fn array(v: &[&str]) -> Result<Figure, String> {
    Ok(pictured::array(whole(v[0], 1, 20)?, whole(v[1], 1, 20)?))
}

fn counters(v: &[&str]) -> Result<Figure, String> {
    Ok(pictured::counters(whole(v[0], 0, 30)?, -whole(v[1], 0, 30)?, 0))
}

fn balance(v: &[&str]) -> Result<Figure, String> {
    let says = "Type an equation with whole numbers, such as 2x + 3 = 11.";
    let line = read_line(v[0]).map_err(|_| says)?.line;
    pictured::balance(&line).ok_or_else(|| says.to_owned())
}

fn hundred(v: &[&str]) -> Result<Figure, String> {
    let marked: Result<Vec<i64>, String> =
        parts(v[0]).into_iter().map(|part| whole(part, 1, 100)).collect();
    Ok(pictured::hundred_square(&marked?))
}

#[cfg(test)]
mod tests {
    use super::*;

    fn order(kind: PictureKind, values: &[&str]) -> Result<Figure, BadLesson> {
        PictureOrder { kind, values: values.iter().map(|&value| value.into()).collect() }.figure()
    }

    #[test]
    fn every_picture_is_drawn_as_it_begins() {
        for card in picture_cards() {
            let values = card.fields.iter().map(|field| field.begins.clone()).collect();
            let drawn = PictureOrder { kind: card.kind, values }.figure();
            assert!(drawn.is_ok(), "{card:?}: {drawn:?}");
        }
    }

    #[test]
    fn what_follows_from_the_values_is_worked_out() {
        let Ok(Figure::Columns { carries, result, .. }) =
            order(PictureKind::Columns, &["346 + 278"])
        else {
            panic!("columns")
        };
        assert_eq!((carries.join("|"), result.concat()), ("1|1|".into(), "624".into()));
        let Ok(Figure::Columns { result, .. }) = order(PictureKind::Columns, &["402 - 57"]) else {
            panic!("columns")
        };
        assert_eq!(result.concat(), "345");
        let Ok(Figure::AreaGrid { cells, .. }) = order(PictureKind::AreaGrid, &["x + 3", "2x - 1"])
        else {
            panic!("a grid")
        };
        assert_eq!(cells, [["2x^2", "6x"], ["-x", "-3"]]);
        let Ok(Figure::Table { rows, .. }) =
            order(PictureKind::Values, &["y = x^2 - 1", "-1", "2"])
        else {
            panic!("a table")
        };
        assert_eq!(rows[1], ["0", "-1", "0", "3"]);
        let Ok(Figure::Polygon(triangle)) = order(PictureKind::Triangle, &["3 cm", "5 cm", "4 cm"])
        else {
            panic!("a triangle")
        };
        assert_eq!(triangle.right, [0]);
        let Ok(Figure::PercentBar { part, .. }) = order(PictureKind::PercentBar, &["35", "80"])
        else {
            panic!("a bar")
        };
        assert_eq!(part, "28");
    }

    #[test]
    #[rustfmt::skip]
    fn what_cannot_be_drawn_says_what_to_type() {
        for (kind, values) in [
            (PictureKind::NumberLine, &["5", "5", ""][..]), (PictureKind::NumberLine, &["0", "10", "11"]), (PictureKind::Strips, &["4/3"]), (PictureKind::Columns, &["3 - 5"]),
            (PictureKind::Triangle, &["1", "2", "9"]), (PictureKind::Circle, &["5", "400°"]), (PictureKind::Graph, &["x + y"]), (PictureKind::Values, &["3", "0", "5"]),
            (PictureKind::Balance, &["x > 2"]), (PictureKind::Hundred, &["101"]), (PictureKind::Blocks, &["1000"]), (PictureKind::Blocks, &[]),
        ] {
            assert!(order(kind, values).is_err(), "{kind:?} {values:?}");
        }
    }
}
