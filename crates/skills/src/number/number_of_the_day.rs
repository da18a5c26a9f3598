//! A number of the day: odd or even, one and ten more or less, tens and ones, ways to make it.
//!
//! Source: Euclid, *Elements*, book VII, definitions 6 and 7. What counts as nice: numbers to 50 on Grip, to 99 later.

use crate::kit::*;

/// The skill `number.of-the-day`.
pub struct NumberOfTheDay;

slips! {
    TEN_AS_ONE = "ten-as-one": "One more changes the ones. Ten more changes the tens.",
        "Changes the ones where the tens should change, or the other way round.";
    ODD_FOR_EVEN = "odd-for-even": "Put the things in pairs. Is one left over?",
        "Takes odd for even: looks at the tens digit, or mixes up the words.";
    DIGITS_SWAPPED = "digits-swapped": "Which digit tells how many tens there are?",
        "Swaps the tens digit and the ones digit.";
}

methods! {
    PAIRING = "pairing": "Pairing",
    COUNTING = "counting": "Counting in steps",
}

impl Skill for NumberOfTheDay {
    fn card(&self) -> Card {
        Card {
            id: "number.of-the-day",
            strand: Strand::Number,
            grades: (0, 2),
            title: "Number of the day",
            objective: "I can tell what is special about a number and make it in many ways.",
            vocabulary: &[
                Term { word: "even", means: "can be put into pairs with none left over" },
                Term { word: "odd", means: "one is left over when it is put into pairs" },
                Term { word: "tens digit", means: "the digit that tells how many tens there are" },
            ],
            methods: METHODS,
        }
    }

    fn slips(&self) -> &'static [&'static dyn Slip] {
        SLIPS
    }

    fn pose(&self, stage: Stage, index: usize, draw: &mut Draw) -> Posed {
        match (stage, index % 3) {
            (Stage::Grip, 0) => odd_or_even(draw),
            (Stage::Grip, 1) => more_or_less(index, draw),
            (Stage::Grip, _) => tens_and_ones(draw),
            (Stage::Tilt, 1) => day(draw),
            (Stage::Tilt, _) => riddle(draw),
            (Stage::Climb, 0) => coins(draw),
            (Stage::Climb, _) => two_parts(draw),
        }
    }
}

fn odd_or_even(draw: &mut Draw) -> Posed {
    let n = draw.between(5, 50);
    let (half, is_even) = (n / 2, n % 2 == 0);
    let (word, other) = if is_even { ("even", "odd") } else { ("odd", "even") };
    let claim =
        if is_even { format!("{n} = 2 × {half}") } else { format!("{n} = 2 × {half} + 1") };
    let left = if is_even { "None is left over" } else { "One is left over" };
    let last =
        if is_even { format!("{half} × 2 = {n}") } else { format!("{half} × 2 + 1 = {n}") };
    Posed::shown(format!("Is {n} odd or even?"), word, vec![line(&claim)])
        .grows(method::PAIRING, [(0, pictured::dots(2, half + n % 2, n))])
        .grows(method::COUNTING, [(0, Figure::Tally { count: n.unsigned_abs() as u32 })])
        .slip(other, slip::ODD_FOR_EVEN)
        .way(
            method::PAIRING,
            Lines::default()
                .work(&claim, format!("Make pairs: {half} of them. {left}"))
                .end(format!("{n} is {word}.")),
        )
        .way(
            method::COUNTING,
            Lines::default()
                .work(&last, format!("Count in twos. {left}"))
                .end(format!("{n} is {word}.")),
        )
}

fn more_or_less(index: usize, draw: &mut Draw) -> Posed {
    let n = draw.between(12, 78);
    let (word, by, sign) =
        [("one more", 1, '+'), ("ten more", 10, '+'), ("one less", 1, '-'), ("ten less", 10, '-')]
            [(index / 3) % 4];
    let signed = if sign == '+' { by } else { -by };
    let value = n + signed;
    let sum = format!("{n} {sign} {by}");
    let part = if by == 1 { "The ones change by one" } else { "The tens change by one" };
    Posed::value(
        format!("What is {word} than {n}?"),
        line(&sum),
        line(&value.to_string()),
        Form::Any,
    )
    .slip((n + 11 * signed.signum() - signed).to_string(), slip::TEN_AS_ONE)
    .near([(n - signed).to_string(), (value + signed).to_string()])
    .way(method::COUNTING, Lines::start(&sum).then(&value.to_string(), part))
    .grows(
        method::COUNTING,
        [(0, pictured::hundred_square(&[n])), (1, pictured::hundred_square(&[n, value]))],
    )
}

fn tens_and_ones(draw: &mut Draw) -> Posed {
    let (tens, ones) = (draw.between(1, 9), draw.between(2, 9));
    let n = 10 * tens + ones;
    let say = |t: i64, o: i64| {
        let ten = if t == 1 { "ten" } else { "tens" };
        let one = if o == 1 { "one" } else { "ones" };
        format!("{t} {ten} and {o} {one}")
    };
    let claim = format!("{n} = {tens} × 10 + {ones}");
    let mut posed = Posed::shown(
        format!("How many tens and how many ones are in {n}?"),
        say(tens, ones),
        vec![line(&claim)],
    );
    if tens != ones {
        posed = posed.slip(say(ones, tens), slip::DIGITS_SWAPPED);
    }
    posed
        .near([say(tens + 1, ones), say(tens, ones - 1)])
        .grows(method::COUNTING, [(0, pictured::blocks([0, tens, ones]))])
        .way(
            method::COUNTING,
            Lines::default()
                .work(&claim, "Count the tens first, then the ones")
                .end(format!("{n} is {}.", say(tens, ones))),
        )
}

fn riddle(draw: &mut Draw) -> Posed {
    let (tens, more) = (draw.between(1, 6), draw.between(1, 3));
    let (is_more, n) = if draw.coin() || tens <= more {
        (true, 10 * tens + tens + more)
    } else {
        (false, 10 * tens + tens - more)
    };
    let ones = n % 10;
    let word = if is_more { "more" } else { "less" };
    let sign = if is_more { '+' } else { '-' };
    let sum = format!("{tens} × 10 + ({tens} {sign} {more})");
    let count = if tens == 1 { "1 ten".to_owned() } else { format!("{tens} tens") };
    Posed::value(
        format!(
            "I have {count}. My ones digit is {more} {word} than my tens digit. Which number am I?"
        ),
        line(&sum),
        line(&n.to_string()),
        Form::Any,
    )
    .slip((10 * ones + tens).to_string(), slip::DIGITS_SWAPPED)
    .near([(n + 10).to_string(), (n + 1).to_string(), (n - 1).to_string()])
    .way(
        method::COUNTING,
        Lines::start(&sum)
            .then(&format!("{} + {ones}", 10 * tens), "The tens first, then the ones digit")
            .then(&n.to_string(), "Put them together"),
    )
    .grows(method::COUNTING, [(1, pictured::blocks([0, tens, ones]))])
}

/// A day of a month: a weekday counted from its first one.
fn day(draw: &mut Draw) -> Posed {
    const DAYS: [&str; 7] =
        ["Monday", "Tuesday", "Wednesday", "Thursday", "Friday", "Saturday", "Sunday"];
    let (first, weekday) = (draw.between(0, 6), draw.between(0, 6));
    // The first such weekday of the month.
    let start = (weekday - first).rem_euclid(7) + 1;
    let (ordinal, weeks) = *draw.one_of(&[("second", 1), ("third", 2), ("fourth", 3)]);
    let value = start + 7 * weeks;
    let [opens, meets] = [first, weekday].map(|day| DAYS[day.unsigned_abs() as usize % 7]);
    let meeting =
        *draw.one_of(&["The bee club meets", "The honey market is", "The hives are looked at"]);
    let sheet = |marked: &[i64]| Figure::Calendar {
        first: first.unsigned_abs() as u32,
        days: 30,
        marked: marked.iter().map(|day| day.unsigned_abs() as u32).collect(),
    };
    let sum = format!("{start} + {weeks} × 7");
    let steps: Vec<i64> = (0..=weeks).map(|week| start + 7 * week).collect();
    let on = |n: i64| format!("day {n}");
    Posed::value(
        format!(
            "A month begins on a {opens}. {meeting} on the {ordinal} {meets} of the month. Which day of the month is that?"
        ),
        line(&sum),
        line(&value.to_string()),
        Form::Any,
    )
    .near([value + 7, value - 7, start + weeks + 1, value + 1].map(|day| day.to_string()))
    .figure(sheet(&[]))
    .way(
        method::COUNTING,
        Lines::start(&sum)
            .then(&format!("{start} + {}", 7 * weeks), format!("The first {meets} is {}; a week is 7 days", on(start)))
            .then(&value.to_string(), "Go down one row of the calendar for each week"),
    )
    .grows(method::COUNTING, [(1, sheet(&steps[..1])), (2, sheet(&steps))])
}

fn coins(draw: &mut Draw) -> Posed {
    let name = scenario::name(draw);
    let n = draw.between(6, 19);
    let thing =
        *draw.one_of(&["a honey stick", "a beeswax button", "a packet of seeds", "a bee sticker"]);
    let mut ways = Vec::new();
    for tens in (0..=n / 10).rev() {
        for fives in (0..=(n - 10 * tens) / 5).rev() {
            ways.push((tens, fives, n - 10 * tens - 5 * fives));
        }
    }
    let sum = |&(tens, fives, ones): &(i64, i64, i64)| {
        format!("{tens} × 10 + {fives} × 5 + {ones} × 1 = {n}")
    };
    let laid = |&(tens, fives, ones): &(i64, i64, i64)| {
        let coins = [(10, tens), (5, fives), (1, ones)];
        let heap = |(value, count): (u32, i64)| {
            std::iter::repeat_n(value, usize::try_from(count).unwrap_or(0))
        };
        Figure::Coins { values: coins.into_iter().flat_map(heap).collect() }
    };
    let count = ways.len();
    let answer = format!("{count} ways");
    let mut lines = Lines::default();
    for way in &ways {
        lines = lines.work(&sum(way), "Tens first, then fives, then ones");
    }
    Posed::shown(
        format!(
            "{name} pays {n} cents for {thing} with coins of 10, 5 and 1 cent. In how many ways can {name} do it?"
        ),
        answer.clone(),
        ways.iter().map(|way| line(&sum(way))).collect(),
    )
    .near([count + 1, count + 2, count - 1].iter().map(|n| format!("{n} {}", if *n == 1 { "way" } else { "ways" })))
    .grows(method::COUNTING, ways.iter().map(laid).enumerate())
    .way(method::COUNTING, lines.end(format!("{name} can do it in {answer}.")))
}

fn two_parts(draw: &mut Draw) -> Posed {
    let (a, b) = (draw.between(11, 45), draw.between(6, 38));
    let n = a + b;
    let name = scenario::name(draw);
    let (things, place, first, second) = *draw.one_of(&[
        ("bees", "at the clover", "in the sun", "in the shade"),
        ("jars", "on the shelf", "full", "empty"),
        ("candles", "in the box", "yellow", "white"),
        ("seeds", "in the tray", "large", "small"),
    ]);
    let equation = format!("{a} + n = {n}");
    Posed::equation(
        format!(
            "{name} counts {n} {things} {place}. {a} of them are {first}. How many are {second}?"
        ),
        line(&equation),
        "n",
        algebra::number::from_int(b),
    )
    .near([(n + a).to_string()])
    .way(
        method::COUNTING,
        Lines::start(&equation)
            .then(
                &format!("n = {n} - {a}"),
                format!("Count on from {}, or take away", tex(&a.to_string())),
            )
            .then(&format!("n = {b}"), "Work it out")
            .end(format!("{b} {things} are {second}.")),
    )
    .grows(
        method::COUNTING,
        [
            (1, pictured::jumps((a, &a.to_string()), &[("?", n, &n.to_string())], 1)),
            (2, pictured::jumps((a, &a.to_string()), &[(&format!("+{b}"), n, &n.to_string())], 1)),
        ],
    )
    .answered(format!("{b} {things} are {second}."), things)
}
