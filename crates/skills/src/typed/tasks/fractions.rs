//! Fractions, decimals and percents, from one to the other; lowest terms, order, mixed numbers.

use super::{Answer, Found, TaskKind, Told, joined};
use crate::fractions_ratio::{fdp_convert, fractions_lowest_terms, fractions_mixed};
use crate::typed::text::{Amount, written};
use algebra::Rational;
use algebra::form::Form;
use algebra::number::{Integer, decimal_places, from_int, show};
use num_integer::Integer as _;
use num_traits::{One, Signed, ToPrimitive, Zero};
use teaching::ids::MethodId;
use teaching::typeset::Lines;

const LOWEST: (&str, MethodId) =
    ("fractions.lowest-terms", fractions_lowest_terms::method::HIGHEST_COMMON_FACTOR);
const DIVIDE: (&str, MethodId) = ("fdp.convert", fdp_convert::method::DIVIDE);
const HUNDREDTHS: (&str, MethodId) = ("fdp.convert", fdp_convert::method::TO_HUNDREDTHS);
const MIXED: (&str, MethodId) = ("fractions.mixed", fractions_mixed::method::DIVIDE_WITH_REMAINDER);

#[rustfmt::skip]
pub(super) const KINDS: &[TaskKind] = &[
    TaskKind::beside("fractions.multiply-divide", "Dividing by a fraction", &[
        "how many halves|thirds|quarters|fourths|fifths|sixths|eighths|tenths are? there? in|make #",
        "how many halves|thirds|quarters|fourths|fifths|sixths|eighths|tenths go into #",
    ], parts_in),
    TaskKind::of(LOWEST, &[
        "# in lowest|simplest terms|form", "simplify|reduce|cancel # ", "simplify|reduce|cancel fraction #",
        "reduce|cancel|simplify|write|put|express # to|in|into its? lowest|simplest terms|form", "simplest form of #", "cancel down #",
        "simplify # fully",
    ], lowest_terms),
    TaskKind::of(DIVIDE, &[
        "write|change|convert|express|turn|give # to|into|as|in decimal", "# as|to|in decimal", "decimal of|for #",
        "write|express fraction # as decimal", "# as recurring decimal", "decimal equivalent of #",
    ], to_decimal),
    TaskKind::of(HUNDREDTHS, &[
        "write|change|convert|express|turn|give # to|into|as|in percent|percentage|%", "# as|to|into|in percent|percentage|%",
        "percent|percentage equivalent? for|of #", "change decimal? # into percent|percentage",
    ], to_percent),
    TaskKind::of(HUNDREDTHS, &[
        "write|change|convert|express|turn|give #% to|into|as|in decimal", "#% as|to|in decimal",
    ], percent_to_decimal),
    TaskKind::of(HUNDREDTHS, &[
        "write|change|convert|express|turn recurring? decimal? @ recurring to|into|as fraction", "@ recurring as|to|into fraction",
    ], |f| recurring(f, true)),
    TaskKind::of(HUNDREDTHS, &[
        "write|change|convert|express|turn recurring? decimal? @ to|into|as fraction", "@ as|to|into fraction",
        "recurring decimal @ as|to|into fraction",
    ], |f| recurring(f, false)),
    TaskKind::of(HUNDREDTHS, &[
        "write|change|convert|express|turn|give #% to|into|as|in fraction", "#% as|to|in|into fraction",
        "write|express #% as fraction in its? lowest|simplest terms|form", "#% as fraction in its? lowest|simplest terms|form",
    ], to_fraction),
    TaskKind::of(HUNDREDTHS, &[
        "write|change|convert|express|turn|give decimal? # to|into|as|in fraction", "# as|to|in|into fraction",
        "write|express # as fraction in its? lowest|simplest terms|form", "# as fraction in its? lowest|simplest terms|form",
        "fraction for # ",
    ], to_fraction),
    TaskKind::of(MIXED, &[
        "write|change|convert|express|turn # to|into|as|in mixed number|fraction", "# as|to mixed number|fraction",
    ], to_mixed),
    TaskKind::of(MIXED, &[
        "write|change|convert|express|turn # to|into|as|in improper|top fraction",
        "write|change|convert|express|turn # to|into|as|in top heavy fraction", "# as|to improper fraction",
    ], to_improper),
    TaskKind::beside("fractions.equivalent", "Order", &[
        "order #,", "put|place|arrange|write|sort these numbers|fractions|in|values? in? order of? size? smallest|ascending|least first|order? #,",
        "put|place|arrange|write|sort these numbers|fractions|in|values? in? order of? size? #,",
        "put|place|arrange|write|sort #, in ascending|increasing order", "put|place|arrange|write|sort #, in order",
        "order #, from smallest|least to largest|greatest|biggest",
        "put|place|arrange|write|sort #, in order from smallest|least to largest|greatest|biggest",
        "put|place|arrange|write|sort #, from smallest|least to largest|greatest|biggest", "put|place|arrange|write|sort in order #,",
        "order from smallest to largest|biggest|greatest #,", "put|place|arrange|write|sort in order smallest first #,", "#, in order",
        "#, in ascending order", "put|place|arrange|write in ascending|increasing order #,",
    ], |f| ordered(f, false)),
    TaskKind::beside("fractions.equivalent", "Order", &[
        "put|place|arrange|write|sort #, in descending|decreasing order", "order #, from largest|greatest|biggest to smallest|least",
        "put|place|arrange|write|sort #, in order from largest|greatest|biggest to smallest|least",
        "put|place|arrange|write|sort #, from largest|greatest|biggest to smallest|least", "#, in descending order",
        "put|arrange|write in descending order #,",
    ], |f| ordered(f, true)),
    TaskKind::beside("fractions.equivalent", "Comparing", &[
        "which is bigger|larger|greater|more|smaller|less # or #", "which is bigger|larger|greater|more|smaller|less #, #",
        "larger|bigger|greater|smaller of # and #", "compare # and #", "is # bigger|larger|greater|more|smaller|less than #",
    ], compared),
    TaskKind::beside("fractions.equivalent", "Comparing", &[
        "which is bigger|larger|greater|more|smaller|less #% or #", "which is bigger|larger|greater|more|smaller|less # or #%",
        "is #% bigger|larger|greater|more|smaller|less than #",
    ], compared),
    TaskKind::beside("fractions.equivalent", "Equivalent fractions", &[
        "are|is # and|to # equivalent|equal|same fractions?", "is # equivalent|equal to #", "are fractions # and # equivalent|equal",
    ], equivalent),
    TaskKind::beside("fractions.equivalent", "What is left", &[
        "# as fraction of #", "what fraction of # is #", "what fraction is # of #", "# out of # as fraction",
        "express|write # as fraction of #",
    ], as_part),
];

fn fraction_parts(amount: &Amount) -> Option<(i64, i64)> {
    let (above, below) = amount.text.split_once('/')?;
    let below: i64 = below.parse().ok().filter(|n| *n != 0)?;
    Some((above.parse().ok()?, below))
}

fn bare(amount: &Amount) -> bool {
    amount.unit.is_none() && !amount.is_of_pi
}

fn lowest_terms(found: &Found) -> Option<Told> {
    let [number] = found.amounts()?;
    if !bare(number) || number.is_percent {
        return None;
    }
    let (a, b) = fraction_parts(number)?;
    let lines = lowest(a, b)?;
    let answer = show(&number.value);
    Some(Told::lines(
        format!("{a}/{b} in lowest terms"),
        lines,
        Answer::value(answer).formed(Form::LowestTerms),
    ))
}

fn lowest(a: i64, b: i64) -> Option<Lines> {
    let common = a.gcd(&b).max(1);
    let lines = Lines::start(&format!("{a}/{b}"));
    let answer = show(&Rational::new(a.into(), b.into()));
    if common == 1 {
        return Some(lines.then(&answer, "No number above 1 divides both"));
    }
    Some(
        lines
            .work(&format!("hcf({}, {b}) = {common}", a.abs()), "The highest common factor")
            .then(&format!("({a} ÷ {common})/({b} ÷ {common})"), "Divide both by it")
            .then(&answer, "Work both out"),
    )
}

fn to_decimal(found: &Found) -> Option<Told> {
    let [number] = found.amounts()?;
    if !bare(number) || number.is_percent || !number.text.contains('/') {
        return None;
    }
    let says = format!("{} as a decimal", number.text);
    let start = Lines::start(&number.text);
    if let Some(places) = decimal_places(&number.value).filter(|n| *n <= 12) {
        let value = algebra::number::to_decimal_text(&number.value, places);
        let lines = match fraction_parts(number) {
            Some((a, b)) => start.then(&format!("{a} ÷ {b}"), "A fraction is a division"),
            None => start,
        };
        let lines = lines.then(&value, "Divide");
        return Some(Told::lines(says, lines, Answer::value(value).formed(Form::Decimal(places))));
    }
    let value = repeating(&number.value)?;
    let lines =
        start.then(&value, "Divide: the remainders come round again, and the digits with them");
    Some(Told::lines(says, lines, Answer::value(value)))
}

/// A quotient as a repeating decimal `0.1(6)`, when its period is short.
fn repeating(value: &Rational) -> Option<String> {
    let below = value.denom().to_i64().filter(|n| *n <= 1_000)?;
    let above = value.numer().to_i64()?;
    let (whole, mut rest) = (above.abs() / below, above.abs() % below);
    let (mut seen, mut digits) = (Vec::new(), String::new());
    while !seen.contains(&rest) {
        seen.push(rest);
        rest *= 10;
        digits.push_str(&(rest / below).to_string());
        rest %= below;
    }
    let start = seen.iter().position(|one| *one == rest)?;
    if digits.len() > 18 {
        return None;
    }
    let sign = if value.is_negative() { "-" } else { "" };
    Some(format!("{sign}{whole}.{}({})", &digits[..start], &digits[start..]))
}

fn to_percent(found: &Found) -> Option<Told> {
    let [number] = found.amounts()?;
    if !bare(number) || number.is_percent {
        return None;
    }
    let value = &number.value * from_int(100);
    let hundred = match written(&value) {
        // A third is 33 1/3 percent.
        fraction if fraction.contains('/') => mixed(&value),
        whole => whole,
    };
    let percent = format!("{hundred}%");
    let lines = Lines::start(&number.text)
        .then(&format!("({} × 100)%", number.factor()), "Percent means of a hundred")
        .then(&percent, "Work it out");
    Some(Told::lines(
        format!("{} as a percent", number.text),
        lines,
        Answer::value(percent).formed(Form::Percent),
    ))
}

/// As a mixed number, when it is more than one.
fn mixed(value: &Rational) -> String {
    let whole = value.trunc();
    if whole.is_zero() || value.is_integer() {
        return show(value);
    }
    format!("{} {}", show(&whole), show(&(value - &whole).abs()))
}

fn percent_to_decimal(found: &Found) -> Option<Told> {
    let [number] = found.amounts()?;
    let value = written(&(&number.value / from_int(100)));
    let lines = Lines::start(&format!("{}%", number.text))
        .then(&format!("{}/100", number.factor()), "Percent means of a hundred")
        .then(&value, "Divide");
    Some(Told::lines(format!("{}% as a decimal", number.text), lines, Answer::value(value)))
}

fn to_fraction(found: &Found) -> Option<Told> {
    let [number] = found.amounts()?;
    if !bare(number) || number.text.contains('/') && !number.is_percent {
        return None;
    }
    let value =
        if number.is_percent { &number.value / from_int(100) } else { number.value.clone() };
    let places = decimal_places(&value).filter(|n| *n <= 9)?;
    if places == 0 && !number.is_percent {
        return None;
    }
    let places = if number.is_percent { places.max(2) } else { places };
    let below = 10_i64.pow(places);
    let above = (&value * from_int(below)).to_integer();
    let answer = show(&value);
    let typed = if number.is_percent { format!("{}%", number.text) } else { number.text.clone() };
    let common = above.gcd(&Integer::from(below));
    let mut lines = Lines::start(&typed).then(
        &format!("{above}/{below}"),
        if number.is_percent {
            "Percent means of a hundred"
        } else {
            "The last place says what the parts are"
        },
    );
    if !common.is_one() {
        lines = lines.work(
            &format!("hcf({}, {below}) = {common}", above.abs()),
            "The highest common factor",
        );
    }
    let lines = lines.then(&answer, "Divide both by it");
    Some(Told::lines(
        format!("{typed} as a fraction"),
        lines,
        Answer::value(answer).formed(Form::LowestTerms),
    ))
}

fn recurring(found: &Found, is_said: bool) -> Option<Told> {
    let typed = found.text()?;
    let is_told = typed.ends_with("...")
        || typed.contains('…')
        || typed.contains('(')
        || typed.contains('\u{307}')
        || typed.contains('\u{305}');
    if !is_told && !is_said {
        return None;
    }
    let number = if is_told { typed.to_owned() } else { format!("{typed} recurring") };
    let whole = super::formula::expression(&number)?;
    let value = whole.as_plain_number()?.clone();
    if value.is_integer() || decimal_places(&value).is_some() {
        return None;
    }
    let answer = show(&value);
    let told = repeating(&value)?;
    let period = told.split_once('(')?.1.trim_end_matches(')').len();
    let by = 10_i64.checked_pow(u32::try_from(period).ok()?)?;
    let right = written(&(&value * from_int(by - 1)));
    let lines = Lines::default()
        .begin(&format!("x = {told}"), "Call it x")
        .then(
            &format!("{by}x - x = {right}"),
            format!("{by} times x has the same digits behind the point: take x away"),
        )
        .then(&format!("{}x = {right}", by - 1), "Collect")
        .then(&format!("x = {answer}"), format!("Divide both sides by {}", by - 1));
    Some(Told::lines(
        format!("{told} as a fraction"),
        lines,
        Answer::value(answer).formed(Form::LowestTerms),
    ))
}

fn to_mixed(found: &Found) -> Option<Told> {
    let [number] = found.amounts()?;
    let (a, b) = fraction_parts(number)
        .or_else(|| Some((number.value.numer().to_i64()?, number.value.denom().to_i64()?)))
        .filter(|(a, b)| *a > 0 && *b > 0 && bare(number))?;
    let (whole, rest) = (a / b, a % b);
    if whole == 0 {
        return None;
    }
    let answer = if rest == 0 {
        whole.to_string()
    } else {
        let part = Rational::new(rest.into(), b.into());
        format!("{whole} {}", show(&part))
    };
    let lines = if number.text.contains('.') {
        Lines::start(&number.text).then(&format!("{a}/{b}"), "As a fraction in lowest terms")
    } else {
        Lines::start(&format!("{a}/{b}"))
    };
    let lines = lines
        .work(&format!("{a} = {b} × {whole} + {rest}"), format!("{whole} wholes and {rest} parts"))
        .then(&answer, "The wholes, and what is left");
    Some(Told::lines(
        format!("{a}/{b} as a mixed number"),
        lines,
        Answer::value(answer).formed(Form::MixedNumber),
    ))
}

/// How many halves, thirds … a number has.
fn parts_in(found: &Found) -> Option<Told> {
    const PARTS: &[(&str, i64)] = &[
        ("halves", 2),
        ("thirds", 3),
        ("quarters", 4),
        ("fourths", 4),
        ("fifths", 5),
        ("sixths", 6),
        ("eighths", 8),
        ("tenths", 10),
    ];
    let [number] = found.amounts()?;
    let (name, size) = PARTS.iter().find(|(name, _)| found.says(&[name]))?;
    if !bare(number) || !number.is_positive() {
        return None;
    }
    let value = written(&(&number.value * from_int(*size)));
    let lines = Lines::start(&format!("{} ÷ (1/{size})", number.factor()))
        .then(&format!("{} × {size}", number.factor()), format!("Each whole has {size} {name}"))
        .then(&value, "Multiply");
    Some(Told::lines(
        format!("How many {name} are in {}", number.text),
        lines,
        Answer::value(value),
    ))
}

fn to_improper(found: &Found) -> Option<Told> {
    let [number] = found.amounts()?;
    let (whole, part) = number.text.split_once(' ')?;
    let (above, below) = part.split_once('/')?;
    let answer = show(&number.value);
    let lines = Lines::start(&number.text)
        .then(
            &format!("({whole} × {below} + {above})/{below}"),
            format!("Each whole is {below} parts"),
        )
        .then(&answer, "Work it out");
    Some(Told::lines(
        format!("{} as an improper fraction", number.text),
        lines,
        Answer::value(answer).formed(Form::ImproperFraction),
    ))
}

fn size(amount: &Amount) -> Rational {
    if amount.is_percent { &amount.value / from_int(100) } else { amount.value.clone() }
}

fn typed(amount: &Amount) -> String {
    if amount.is_percent { format!("{}%", amount.text) } else { amount.text.clone() }
}

/// All in one unit, or none with one.
fn comparable(list: &[Amount]) -> Option<Vec<(Rational, &Amount)>> {
    let first = list.first()?;
    list.iter()
        .map(|one| match (&one.unit, &first.unit) {
            (Some(_), Some(unit)) => Some((one.value_in(unit)?, one)),
            (None, None) => Some((size(one), one)),
            _ => None,
        })
        .collect()
}

fn ordered(found: &Found, falls: bool) -> Option<Told> {
    let list = found.list()?;
    let mut all = comparable(list)?;
    if list.iter().any(|one| one.is_of_pi) {
        return None;
    }
    all.sort_by(|a, b| a.0.cmp(&b.0));
    if falls {
        all.reverse();
    }
    let shown: Vec<String> = all.iter().map(|(_, one)| one.shown()).collect();
    let chain: Vec<String> = all
        .iter()
        .map(|(value, one)| if one.unit.is_some() { written(value) } else { typed(one) })
        .collect();
    let mut lines = Lines::default();
    if list.iter().any(|one| one.text.contains('/')) && list.iter().all(|one| one.unit.is_none()) {
        let below = list.iter().fold(Integer::one(), |all, one| all.lcm(size(one).denom()));
        for one in list {
            let above = (size(one) * Rational::from_integer(below.clone())).to_integer();
            lines =
                lines.work(&format!("{} = {above}/{below}", typed(one)), "All in the same parts");
        }
    }
    let sign = if falls { " >= " } else { " <= " };
    let lines =
        lines.work(&chain.join(sign), "In order").end(format!("In order: {}.", shown.join(", ")));
    let told: Vec<String> = list.iter().map(Amount::shown).collect();
    Some(Told::lines(format!("{} in order", joined(&told)), lines, Answer::words(shown.join(", "))))
}

fn compared(found: &Found) -> Option<Told> {
    let both: Vec<Amount> =
        found.lists.concat().into_iter().chain(found.numbers.iter().cloned()).collect();
    let [one, other] = &both[..] else { return None };
    let sizes = comparable(&both)?;
    let (a, b) = (&sizes[0].0, &sizes[1].0);
    let (sign, words) = match a.cmp(b) {
        std::cmp::Ordering::Less => ("<", "is less than"),
        std::cmp::Ordering::Equal => ("=", "equals"),
        std::cmp::Ordering::Greater => (">", "is greater than"),
    };
    let line = if one.unit.is_some() {
        format!("{} {sign} {}", written(a), written(b))
    } else {
        format!("{} {sign} {}", typed(one), typed(other))
    };
    let mut lines = Lines::default();
    if one.unit.is_none() && (one.text.contains('/') || other.text.contains('/')) {
        let below = a.denom().lcm(b.denom());
        for (value, amount) in [(a, one), (b, other)] {
            let above = (value * Rational::from_integer(below.clone())).to_integer();
            lines = lines
                .work(&format!("{} = {above}/{below}", typed(amount)), "Both in the same parts");
        }
    }
    let lines =
        lines.work(&line, "Compare").end(format!("{} {words} {}.", one.shown(), other.shown()));
    let asks_less = found.words.iter().any(|word| matches!(word.as_str(), "smaller" | "less"));
    let (large, small) = if a >= b { (one, other) } else { (other, one) };
    let text = if a == b {
        "equal".to_owned()
    } else if asks_less {
        small.shown()
    } else {
        large.shown()
    };
    Some(Told::lines(
        format!("{} compared with {}", one.shown(), other.shown()),
        lines,
        Answer::words(text),
    ))
}

fn equivalent(found: &Found) -> Option<Told> {
    let [one, other] = found.amounts()?;
    let ((a, b), (c, d)) = (fraction_parts(one)?, fraction_parts(other)?);
    let is_same = one.value == other.value;
    let lines = Lines::default()
        .work(&format!("{a}/{b} = {}", show(&one.value)), "The first in lowest terms")
        .work(&format!("{c}/{d} = {}", show(&other.value)), "The second in lowest terms")
        .end(if is_same { "They are equivalent." } else { "They are not equivalent." });
    Some(Told::lines(
        format!("Whether {} and {} are equivalent", one.text, other.text),
        lines,
        Answer::words(if is_same { "yes" } else { "no" }),
    ))
}

fn as_part(found: &Found) -> Option<Told> {
    let [one, other] = found.amounts()?;
    // "What fraction of 20 is 5" tells the whole first; the smaller of two is the part there as elsewhere.
    let (part, whole) = match (&one.unit, &other.unit) {
        (Some(unit), Some(_)) if other.value_in(unit)? < one.value => (other, one),
        (Some(_), Some(_)) => (one, other),
        (None, None) if other.value < one.value => (other, one),
        (None, None) => (one, other),
        _ => return None,
    };
    if whole.value.is_zero() || part.is_percent || part.is_of_pi || whole.is_of_pi {
        return None;
    }
    let value = match (&part.unit, &whole.unit) {
        (Some(_), Some(unit)) => part.value_in(unit)?,
        _ => part.value.clone(),
    };
    let rate = &value / &whole.value;
    let answer = show(&rate);
    let lines = Lines::start(&format!("({})/({})", written(&value), whole.text))
        .then(&answer, "In lowest terms");
    Some(Told::lines(
        format!("{} as a fraction of {}", part.shown(), whole.shown()),
        lines,
        Answer::value(answer).formed(Form::LowestTerms),
    ))
}
