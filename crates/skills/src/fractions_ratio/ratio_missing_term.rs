//! The missing term of a proportion: `a/b = c/d` with one term asked for.
//!
//! Source: Euclid, *Elements*, book VII, proposition 19. What counts as nice: whole answers on Grip;
//! on Tilt a decimal with one place may be given; in a story the answer is whole.

use crate::kit::methods;
use crate::scenario::{self, Mixture, own};
use algebra::number::{Rational, from_int};
use algebra::solve::{Place, Proportion, ProportionMethod, solve_proportion};
use algebra::write::{latex_line, text};
use algebra::{Expr, Line, Role};
use num_traits::ToPrimitive;
use teaching::draw::Draw;
use teaching::figure::{Figure, Pair};
use teaching::ids::MethodId;
use teaching::problem::{Flawed, Posed, Story};
use teaching::skill::{Card, Method, Skill, Stage, Strand, Term};
use teaching::slips::{self, MultipliedStraightAcross, Slip};
use teaching::working::{Draft, Working};

/// The skill `ratio.missing-term`.
pub struct RatioMissingTerm;

methods! {
    CROSS_MULTIPLY = "cross-multiply": "Cross-multiply and divide",
    SCALE_FACTOR = "scale-factor": "Scale factor",
    UNIT_RATE = "unit-rate": "Unit rate",
}

fn way(id: MethodId) -> Option<ProportionMethod> {
    Some(match id {
        method::CROSS_MULTIPLY => ProportionMethod::CrossMultiply,
        method::SCALE_FACTOR => ProportionMethod::ScaleFactor,
        method::UNIT_RATE => ProportionMethod::UnitRate,
        _ => return None,
    })
}

impl Skill for RatioMissingTerm {
    fn card(&self) -> Card {
        Card {
            id: "ratio.missing-term",
            strand: Strand::FractionsRatio,
            grades: (5, 8),
            title: "The missing term of a proportion",
            objective: "I can find the missing number that makes two ratios equal.",
            vocabulary: &[
                Term { word: "ratio", means: "how many times one amount is as large as another" },
                Term { word: "proportion", means: "an equation that says two ratios are equal" },
                Term {
                    word: "cross-multiply",
                    means: "set the two diagonal products of a proportion equal",
                },
                Term {
                    word: "scale factor",
                    means: "the number that both terms are multiplied by",
                },
            ],
            methods: METHODS,
        }
    }

    fn slips(&self) -> &'static [&'static dyn Slip] {
        slips::PROPORTION
    }

    fn pose(&self, stage: Stage, index: usize, draw: &mut Draw) -> Posed {
        match (stage, index % 3) {
            (Stage::Grip, _) => fractions(index, draw),
            (Stage::Tilt, 0) => colons(index, draw),
            (Stage::Tilt, 1) => decimals(draw),
            (Stage::Tilt, _) => somebodys_working(draw),
            (Stage::Climb, _) => in_a_story(draw),
        }
    }

    fn working(&self, posed: &Posed, id: MethodId) -> Option<Working> {
        let steps = solve_proportion(&posed.line, way(id)?).ok()?;
        let mut lines = Vec::new();
        if let Some(story) = &posed.story {
            lines.push(words(
                &format!("{}.", story.defines),
                "Name what is asked for",
                Role::Defines,
            ));
        }
        lines.extend(steps.into_iter().map(Draft::from));
        if let Some(story) = &posed.story {
            if let Some(Draft::Line { reason, .. }) = lines.get_mut(1) {
                *reason = "The two ratios are equal".into();
            }
            lines.push(words(&story.sentence, "Answer in a sentence", Role::Concludes));
        }
        Some(Working(lines))
    }

    fn line_picture(&self, posed: &Posed, method: MethodId, line: &Line) -> Option<Figure> {
        let rows = posed.story.as_ref().and_then(|story| story.rows.clone()).unwrap_or_default();
        let is_first = *line == posed.line;
        let found = line.as_equation().and_then(|(left, right)| {
            (*left == Expr::symbol(&posed.unknown)).then(|| right.as_plain_number()).flatten()
        });
        if method == method::CROSS_MULTIPLY || !(is_first || found.is_some()) {
            return None;
        }
        double_line(posed, rows, found.is_some())
    }

    fn figure(&self, posed: &Posed) -> Option<Figure> {
        let rows = posed.story.as_ref()?.rows.clone()?;
        let proportion = Proportion::of(&posed.line)?;
        let at = Place::ALL.iter().position(|&p| p == proportion.place())?;
        let mut shown = proportion.completed().map(|term| text(&Expr::rational(&term)));
        shown[at] = proportion.letter().to_owned();
        let [a, b, c, d] = shown;
        Some(Figure::RatioTable { rows, columns: vec![[a, b], [c, d]] })
    }
}

/// Both ratios on two number lines, the one with the smaller terms first.
fn double_line(posed: &Posed, rows: [String; 2], is_found: bool) -> Option<Figure> {
    let proportion = Proportion::of(&posed.line)?;
    let at = Place::ALL.iter().position(|&place| place == proportion.place())?;
    let terms = proportion.completed();
    let mut shown = terms.clone().map(|term| text(&Expr::rational(&term)));
    if !is_found {
        shown[at] = proportion.letter().to_owned();
    }
    let [a, b, c, d] = shown;
    let size = |term: &Rational| term.to_f64().filter(|size| *size > 0.0);
    let (first, second) = (size(&terms[0])?, size(&terms[2])?);
    let most = first.max(second);
    let pair =
        |at: f64, above: String, below: String| Pair { at: at / most, labels: [above, below] };
    let mut stops = vec![pair(first, a, b), pair(second, c, d)];
    // Stops nearer than this would run into each other.
    if (first - second).abs() < 0.12 * most || first.min(second) < 0.1 * most {
        return None;
    }
    stops.sort_by(|one, other| one.at.total_cmp(&other.at));
    Some(Figure::DoubleLine { rows, stops })
}

fn words(sentence: &str, reason: &str, role: Role) -> Draft {
    Draft::Words { sentence: sentence.to_owned(), reason: reason.into(), role }
}

/// A base ratio in lowest terms and two multiples of it, as `a/b = c/d`.
fn terms(draw: &mut Draw, largest: i64) -> [i64; 4] {
    loop {
        let (p, q) = (draw.between(1, 7), draw.between(2, 9));
        let (j, k) = (draw.between(1, largest), draw.between(2, largest));
        // Equal ratios that look different, and no term that gives the answer away.
        if p != q && j != k && num_gcd(p, q) == 1 {
            return [p * j, q * j, p * k, q * k];
        }
    }
}

fn num_gcd(a: i64, b: i64) -> i64 {
    if b == 0 { a } else { num_gcd(b, a % b) }
}

fn proportion(terms: [i64; 4], place: Place, colons: bool) -> Option<(Line, Rational)> {
    let proportion = Proportion::new(terms.map(from_int), place, "n", colons)?;
    Some((proportion.line(colons, false), proportion.answer()))
}

fn posed(terms: [i64; 4], place: Place, colons: bool) -> Posed {
    let (line, answer) = proportion(terms, place, colons).expect("drawn terms are positive");
    let prompt = format!("Find $n$: ${}$", latex_line(&line));
    Posed::equation(prompt, line, "n", answer)
}

/// The letter takes each place in turn; everything else stays of one size.
fn fractions(index: usize, draw: &mut Draw) -> Posed {
    posed(terms(draw, 6), Place::ALL[index % 4], false)
}

fn colons(index: usize, draw: &mut Draw) -> Posed {
    posed(terms(draw, 8), Place::ALL[(index / 3 + 2) % 4], true)
}

/// One known term has a decimal place; the answer may have one too.
fn decimals(draw: &mut Draw) -> Posed {
    let [a, b, c, d] = terms(draw, 8);
    let place = *draw.one_of(&Place::ALL);
    // Taking a tenth or a half of one pair keeps the ratios equal.
    let part = *draw.one_of(&[2, 10]);
    let small = |n: i64| Rational::new(n.into(), part.into());
    let proportion =
        Proportion::new([small(a), small(b), from_int(c), from_int(d)], place, "n", false)
            .expect("drawn terms are positive");
    let line = proportion.line(false, true);
    let prompt = format!("Find $n$: ${}$", latex_line(&line));
    Posed::equation(prompt, line, "n", proportion.answer())
}

/// Somebody multiplied straight across, and went on rightly from there.
fn somebodys_working(draw: &mut Draw) -> Posed {
    let name = scenario::name(draw);
    loop {
        let drawn = terms(draw, 6);
        let Some((line, answer)) = proportion(drawn, Place::FirstTop, false) else { continue };
        let Some(wrong) = slips::PROPORTION
            .iter()
            .find(|slip| slip.id() == MultipliedStraightAcross::ID)
            .and_then(|slip| slip.wrong(&line).pop())
        else {
            continue;
        };
        let value = Rational::new((drawn[1] * drawn[3]).into(), drawn[2].into());
        let last = Line::equation(Expr::symbol("n"), Expr::rational(&value));
        let lines = vec![line.clone(), wrong, last];
        let prompt = format!("{name} solves ${}$.", latex_line(&line));
        let mut posed = Posed::equation(prompt, line, "n", answer);
        posed.flawed = Some(Flawed {
            name: name.into(),
            lines,
            breaks: 1,
            slip: MultipliedStraightAcross::ID,
        });
        return posed;
    }
}

/// A story of a teacher's own scenario.
fn elsewhere(draw: &mut Draw) -> Option<Posed> {
    draw.world()?;
    let ((a, b), times) = (draw.coprime(2, 9), draw.between(3, 7));
    let (c, d, asks_first) = (a * times, b * times, draw.coin());
    let own = own::together(draw, [a, b, c, d], asks_first)?;
    let place = if asks_first { Place::SecondTop } else { Place::SecondBottom };
    let (line, value) = proportion([a, b, c, d], place, false)?;
    let mut posed = Posed::equation(own.told.prompt, line, "n", value);
    posed.story = Some(Story {
        defines: format!("Let $n$ be the number of {}", own.told.unit),
        sentence: own.told.sentence,
        unit: own.told.unit,
        rows: Some(own.rows),
    });
    Some(posed)
}

fn in_a_story(draw: &mut Draw) -> Posed {
    if let Some(posed) = elsewhere(draw) {
        return posed;
    }
    let mixture: &Mixture = draw.one_of(scenario::MIXTURES);
    let name = scenario::name(draw);
    let [(low_a, high_a), (low_b, high_b)] = mixture.ranges;
    let (a, b) = loop {
        let (a, b) = (draw.between(low_a, high_a), draw.between(low_b, high_b));
        if num_gcd(a, b) == 1 || (a > 9 && num_gcd(a, b) < a) {
            break (a, b);
        }
    };
    let times = draw.between(3, 7);
    let (c, d) = (a * times, b * times);
    let asks_first = draw.between(0, 1) == 0;
    let [first, second] = mixture.units;
    let place = if asks_first { Place::SecondTop } else { Place::SecondBottom };
    let answer = if asks_first { c } else { d };
    let unit = if asks_first { first } else { second };
    let (a_text, b_text) = (first.counted(a), second.counted(b));
    let (c_text, d_text) = (first.counted(c), second.counted(d));
    let x = unit.counted(answer);
    let values = [
        ("name", name),
        ("a", a_text.as_str()),
        ("b", b_text.as_str()),
        ("c", c_text.as_str()),
        ("d", d_text.as_str()),
        ("x", x.as_str()),
    ];
    let question = if asks_first { mixture.asks_first } else { mixture.asks_second };
    let prompt = scenario::fill(&format!("{} {question}", mixture.setting), &values);
    let (line, value) = proportion([a, b, c, d], place, false).expect("drawn terms are positive");
    debug_assert_eq!(value.to_integer().to_i64(), Some(answer));
    let mut posed = Posed::equation(prompt, line, "n", value);
    let sentence = scenario::fill(mixture.answers[usize::from(!asks_first)], &values);
    posed.story = Some(Story {
        defines: format!("Let $n$ be the number of {}", unit.many),
        sentence,
        unit: unit.many.into(),
        rows: Some(mixture.rows.map(str::to_owned)),
    });
    posed
}
