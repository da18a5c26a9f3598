//! The probability of an event, and how many ways there are.

use super::{Answer, Found, Recognised, TaskKind, Told};
use crate::typed::text::{Amount, Loose, written};
use algebra::Rational;
use algebra::form::Form;
use algebra::number::{from_int, show};
use num_traits::Signed;
use teaching::typeset::Lines;

#[rustfmt::skip]
pub(super) const KINDS: &[TaskKind] = &[
    beside("Probability", &["probability|chance of rolling|getting|throwing? # or # on|with|from? dice|die?"], either_on_a_die),
    beside("Probability", &[
        "probability|chance|p of rolling|getting|throwing? # on|with|from|of dice|die",
        "probability|chance of rolling|getting|throwing? # on|with|from|of fair|ordinary|six-sided|normal? dice|die",
        "probability|chance of rolling|getting|throwing? # on|with six sided dice|die", "probability|chance of rolling|throwing #",
        "roll|throw dice|die probability|chance of #",
    ],
        |f| {
            let n = f.numbers.first()?.whole(6)?;
            on_a_die(&format!("a {n}"), |k| k == n)
        },
    ),
    beside("Probability", &[
        "probability|chance|p of rolling|getting|throwing? even|odd|prime|square|six|five|four|three|two|one number? on|with|from|of fair|ordinary|normal? dice|die",
        "probability|chance of rolling|throwing even|odd|prime|square|six|five|four|three|two|one number?",
        "roll|throw dice|die probability|chance of even|odd|prime|square|six|five|four|three|two|one number?",
        "fair? dice|die is rolled|thrown find probability of rolling|getting? even|odd|prime|square|six|five|four|three|two|one number?",
    ], named_on_a_die),
    beside("Probability", &[
        "probability|chance of rolling|getting|throwing? number? less|more|greater|bigger|higher|lower|smaller than # on|with fair|ordinary? dice|die",
        "probability|chance of number? less|more|greater|bigger|higher|lower|smaller than # when rolling|you dice|die|roll dice|die?",
        "probability|chance of rolling number? less|more|greater|bigger|higher|lower|smaller than #",
    ], compared_on_a_die),
    beside("Probability", &[
        "probability|chance of rolling|getting|throwing? at least # on|with fair? dice|die",
    ],
        |f| {
            let n = f.numbers.first()?.whole(6)?;
            on_a_die(&format!("at least {n}"), |k| k >= n)
        },
    ),
    beside("Probability", &[
        "probability|chance of not rolling|getting|throwing? # on|with fair? dice|die", "probability|chance of not rolling|throwing #",
    ],
        |f| {
            let n = f.numbers.first()?.whole(6)?;
            on_a_die(&format!("no {n}"), |k| k != n)
        },
    ),
    beside("Probability", &[
        "probability|chance of not rolling|getting|throwing? six on|with fair? dice|die",
    ], |_| on_a_die("no six", |k| k != 6)),
    beside("Probability", &[
        "probability|chance of two|2 sixes with|on|from|when two|2 dice",
        "probability|chance of double six|sixes with|on|from? two|2? dice?",
        "probability|chance of rolling|getting|throwing two|2 sixes with|on|from? two|2? dice?",
        "probability|chance of # sixes with|on|from|when two|# dice",
        "probability|chance of rolling|getting|throwing # sixes with|on two|# dice", "probability|chance of two sixes",
        "probability|chance of rolling|getting|throwing? two sixes with|on # dice",
    ], |_| on_two_dice("two sixes", |a, b| a == 6 && b == 6)),
    beside("Probability", &[
        "probability|chance of rolling|getting|throwing? double|doubles with|on|from|when? two? dice",
        "probability|chance of rolling|getting|throwing? double|doubles with|on # dice",
        "probability|chance of rolling|getting|throwing? same number on|with both|two dice",
    ], |_| on_two_dice("a double", |a, b| a == b)),
    beside("Probability", &[
        "probability|chance of rolling|getting|throwing? sum|total of? # with|on|from|when two dice",
        "probability|chance of rolling|getting|throwing? sum|total of? # with|on|from # dice",
        "probability|chance that sum|total of two dice is #", "probability|chance of # with|on two dice",
        "probability|chance that two dice add|sum up? to #", "probability|chance two dice add|sum|total up? to? #",
    ],
        |f| {
            let n = f.numbers.first()?.whole(12)?;
            on_two_dice(&format!("a sum of {n}"), |a, b| a + b == n)
        },
    ),
    beside("Probability", &[
        "probability|chance of rolling|getting|throwing? head|heads|tail|tails on|with|from|when? tossing|flipping|fair? coin",
        "probability|chance of tossing|flipping head|heads|tail|tails", "probability|chance of head|heads|tail|tails on fair? coin",
        "probability|chance of getting head|heads|tail|tails", "probability|chance of head|heads|tail|tails",
    ],
        |f| {
            coins(
                1,
                1,
                f.words
                    .iter()
                    .find(|word| word.starts_with("head") || word.starts_with("tail"))
                    .map_or("", String::as_str),
            )
        },
    ),
    beside("Probability", &[
        "probability|chance of getting|tossing|flipping|throwing? two|three|four heads|tails with|on|from|in|when two|three|four|2|3|4 coins|tosses|flips|coin?",
        "probability|chance of getting|tossing|flipping|throwing? two|three|four heads|tails in row|a?",
        "probability|chance of two|three|four heads|tails in row", "probability|chance of two|three|four heads|tails",
        "probability|chance of getting? two|three|four heads|tails with|on|from|in # coins|tosses|flips",
        "probability|chance of getting? two|three|four heads|tails when # coins are tossed|flipped",
        "probability|chance of getting? two|three|four heads|tails when|if|by tossing|flipping|throwing|you? toss|flip|throw? two|three|four coins|times?",
        "probability|chance of getting? two|three|four heads|tails when two|three|four coins are tossed|flipped|thrown",
    ], named_coins),
    beside("Coins", &[
        "if? two|three|four coins are tossed|flipped|thrown find|what? is? probability|chance of getting? two|three|four heads|tails?",
        "if? coin is tossed|flipped|thrown two|three|four times find|what? is? probability|chance of getting? two|three|four heads|tails?",
        "toss|flip|throw two|three|four coins find|what? is? probability|chance of getting? two|three|four heads|tails?",
    ], |f| {
        let counts: Vec<i64> = f.words.iter().filter_map(|word| count_named(word)).collect();
        let side = f.words.iter().find(|word| word.starts_with("head") || word.starts_with("tail"))?;
        let [tossed, wanted] = counts[..] else { return None };
        coins(wanted, tossed, side)
    }),
    beside("Probability", &[
        "probability|chance of getting|tossing|flipping? # heads|tails with|on|from|in|when # coins|tosses|flips",
        "probability|chance of getting|tossing|flipping? # heads|tails in row",
    ], counted_coins),
    beside("Probability", &[
        "probability|chance of picking|drawing|choosing|getting|taking? ace|king|queen|jack|heart|spade|club|diamond|red|black|picture|face card? from|in standard|normal|full|ordinary? pack|deck of? # cards?",
        "probability|chance of picking|drawing|choosing|getting|taking? ace|king|queen|jack|heart|spade|club|diamond|red|black|picture|face card? from|in standard|normal|full|ordinary? pack|deck of? cards?",
        "probability|chance of picking|drawing|choosing ace|king|queen|jack|heart|spade|club|diamond card?",
        "probability|chance card is ace|king|queen|jack|heart|spade|club|diamond|red|black",
    ], cards),
    beside("Probability", &[
        "bag|box|jar|drawer|pack has|contains|with|of|holds # _ and? # _ balls|counters|marbles|sweets|beads|discs|cubes|pens|cards|socks|apples|ball|counter? in|are? in? bag|box|jar? one? is? picked|drawn|chosen|taken? at? random? find|what? is? probability|chance|p of|that|it? it? is? picking|drawing|choosing|getting|taking|selecting|pulling? out? _ balls|counters|marbles|sweets|beads|discs|cubes|pens|cards|socks|apples|ball|counter|one?",
        "there are # _ and # _ balls|counters|marbles|sweets|beads|discs|cubes|pens|cards|socks|apples|ball|counter? in|are? in? bag|box|jar? one? is? picked|drawn|chosen|taken? at? random? find|what? is? probability|chance|p of|that|it? it? is? picking|drawing|choosing|getting|taking|selecting|pulling? out? _ balls|counters|marbles|sweets|beads|discs|cubes|pens|cards|socks|apples|ball|counter|one?",
        "in bag|box|jar there|are are? # _ and # _ balls|counters|marbles|sweets|beads|discs|cubes|pens|cards|socks|apples|ball|counter? in|are? in? bag|box|jar? one? is? picked|drawn|chosen|taken? at? random? find|what? is? probability|chance|p of|that|it? it? is? picking|drawing|choosing|getting|taking|selecting|pulling? out? _ balls|counters|marbles|sweets|beads|discs|cubes|pens|cards|socks|apples|ball|counter|one?",
        "# _ and # _ balls|counters|marbles|sweets|beads|discs|cubes|pens|cards|socks|apples|ball|counter? in|are? in? bag|box|jar? one? is? picked|drawn|chosen|taken? at? random? find|what? is? probability|chance|p of|that|it? it? is? picking|drawing|choosing|getting|taking|selecting|pulling? out? _ balls|counters|marbles|sweets|beads|discs|cubes|pens|cards|socks|apples|ball|counter|one?",
        "bag|box|jar|drawer|pack has|contains|with|of|holds # _ # _ and # _ balls|counters|marbles|sweets|beads|discs|cubes|pens|cards|socks|apples|ball|counter? in|are? in? bag|box|jar? one? is? picked|drawn|chosen|taken? at? random? find|what? is? probability|chance|p of|that|it? it? is? picking|drawing|choosing|getting|taking|selecting|pulling? out? _ balls|counters|marbles|sweets|beads|discs|cubes|pens|cards|socks|apples|ball|counter|one?",
        "there are # _ # _ and # _ balls|counters|marbles|sweets|beads|discs|cubes|pens|cards|socks|apples|ball|counter? in|are? in? bag|box|jar? one? is? picked|drawn|chosen|taken? at? random? find|what? is? probability|chance|p of|that|it? it? is? picking|drawing|choosing|getting|taking|selecting|pulling? out? _ balls|counters|marbles|sweets|beads|discs|cubes|pens|cards|socks|apples|ball|counter|one?",
        "in bag|box|jar there|are are? # _ # _ and # _ balls|counters|marbles|sweets|beads|discs|cubes|pens|cards|socks|apples|ball|counter? in|are? in? bag|box|jar? one? is? picked|drawn|chosen|taken? at? random? find|what? is? probability|chance|p of|that|it? it? is? picking|drawing|choosing|getting|taking|selecting|pulling? out? _ balls|counters|marbles|sweets|beads|discs|cubes|pens|cards|socks|apples|ball|counter|one?",
        "# _ # _ and # _ balls|counters|marbles|sweets|beads|discs|cubes|pens|cards|socks|apples|ball|counter? in|are? in? bag|box|jar? one? is? picked|drawn|chosen|taken? at? random? find|what? is? probability|chance|p of|that|it? it? is? picking|drawing|choosing|getting|taking|selecting|pulling? out? _ balls|counters|marbles|sweets|beads|discs|cubes|pens|cards|socks|apples|ball|counter|one?",
        "bag|box|jar|drawer|pack has|contains|with|of|holds # _ balls|counters|marbles|sweets|beads|discs|cubes|pens|cards|socks|apples|ball|counter and # _ balls|counters|marbles|sweets|beads|discs|cubes|pens|cards|socks|apples|ball|counter? in|are? in? bag|box|jar? one? is? picked|drawn|chosen|taken? at? random? find|what? is? probability|chance|p of|that|it? it? is? picking|drawing|choosing|getting|taking|selecting|pulling? out? _ balls|counters|marbles|sweets|beads|discs|cubes|pens|cards|socks|apples|ball|counter|one?",
        "there are # _ balls|counters|marbles|sweets|beads|discs|cubes|pens|cards|socks|apples|ball|counter and # _ balls|counters|marbles|sweets|beads|discs|cubes|pens|cards|socks|apples|ball|counter? in|are? in? bag|box|jar? one? is? picked|drawn|chosen|taken? at? random? find|what? is? probability|chance|p of|that|it? it? is? picking|drawing|choosing|getting|taking|selecting|pulling? out? _ balls|counters|marbles|sweets|beads|discs|cubes|pens|cards|socks|apples|ball|counter|one?",
        "in bag|box|jar there|are are? # _ balls|counters|marbles|sweets|beads|discs|cubes|pens|cards|socks|apples|ball|counter and # _ balls|counters|marbles|sweets|beads|discs|cubes|pens|cards|socks|apples|ball|counter? in|are? in? bag|box|jar? one? is? picked|drawn|chosen|taken? at? random? find|what? is? probability|chance|p of|that|it? it? is? picking|drawing|choosing|getting|taking|selecting|pulling? out? _ balls|counters|marbles|sweets|beads|discs|cubes|pens|cards|socks|apples|ball|counter|one?",
        "# _ balls|counters|marbles|sweets|beads|discs|cubes|pens|cards|socks|apples|ball|counter and # _ balls|counters|marbles|sweets|beads|discs|cubes|pens|cards|socks|apples|ball|counter? in|are? in? bag|box|jar? one? is? picked|drawn|chosen|taken? at? random? find|what? is? probability|chance|p of|that|it? it? is? picking|drawing|choosing|getting|taking|selecting|pulling? out? _ balls|counters|marbles|sweets|beads|discs|cubes|pens|cards|socks|apples|ball|counter|one?",
    ], |f| bag(f, false)),
    beside("Probability", &[
        "probability|chance of picking|drawing|choosing|getting|taking|selecting|pulling? out? _ balls|counters|marbles|sweets|beads|discs|cubes|pens|cards|socks|apples|ball|counter|ball|counter|marble|sweet|bead|one? from|out bag|box|jar? of|with|containing|has? # _ and # _ balls|counters|marbles|sweets|beads|discs|cubes|pens|cards|socks|apples|ball|counter?",
        "probability|chance of picking|drawing|choosing|getting|taking|selecting|pulling? out? _ from|in # _ and # _ balls|counters|marbles|sweets|beads|discs|cubes|pens|cards|socks|apples|ball|counter?",
        "probability|chance of picking|drawing|choosing|getting|taking|selecting|pulling? out? _ balls|counters|marbles|sweets|beads|discs|cubes|pens|cards|socks|apples|ball|counter|one? from|out bag|box|jar? of|with|containing|has? # _ # _ and # _ balls|counters|marbles|sweets|beads|discs|cubes|pens|cards|socks|apples|ball|counter?",
    ], |f| bag(f, true)),
    beside("Probability", &[
        "probability|chance of rain|event|winning|success|it is # what is probability|chance of not|no|it rain|raining|not|event|winning|success? happening|raining?",
        "probability|chance of not if|when probability|chance is #", "probability of it not happening if probability is #",
        "if probability of _ is # what is probability of not _", "probability of _ is # what is probability of not _",
        "probability of _ is # find probability of not _", "p ( not _ ) if|when|given p ( _ ) #",
        "probability|chance of? .. not .. if|when|given|where p ( .. ) #", "probability|chance it? does|will not .. if|when|given p ( .. ) #",
        "if|given? p ( _ ) # find|what|then is? p ( not _ )", "probability|chance .. not .. if|when|given .. probability|chance .. #",
        "if|given? .. probability|chance .. # what|find is? probability|chance .. not ..",
        "probability of event is # find probability it does not happen",
    ], complement),
    beside("Probability", &[
        "expected number of sixes|ones|twos|threes|fours|fives in # rolls|throws of? dice|die?",
        "how many sixes|ones|twos|threes|fours|fives would you expect in # rolls|throws of? dice|die?",
        "how many sixes|ones|twos|threes|fours|fives expected in # rolls|throws",
    ], |f| expected(f.numbers.first()?, &Rational::new(1.into(), 6.into()))),
    beside("Probability", &[
        "expected number of heads|tails in # tosses|flips|throws of? coin?",
        "how many heads|tails would you expect in # tosses|flips|throws of? coin?",
    ], |f| expected(f.numbers.first()?, &Rational::new(1.into(), 2.into()))),
    beside("Probability", &[
        "expected frequency if|when|with probability is? # and? # trials|times", "probability # trials # expected frequency|number",
    ],
        |f| {
            let [p, n] = f.amounts()?;
            expected(n, &p.value)
        },
    ),
    ways("Arrangements", &[
        "how many ways can # people|children|books|students|pupils|letters|friends|cars|runners line|be|stand|sit|finish|queue up|arranged|in|lined|ordered? a|line|row|order|up?",
        "how many ways to|of arrange|order|line|arranging up? # people|children|books|students|letters|friends|objects|things|items",
        "ways to|of arrange|arranging|order|ordering|line|lining up? # people|children|books|students|letters|friends|objects|things|items",
        "in how many ways can # people|children|books|students|letters|friends|objects|items be|line|stand|sit arranged|up|in? row|line|order?",
        "number of ways to|of arrange|arranging|order # people|children|books|students|letters|friends|objects|things|items on|in|along? shelf|row|line?",
        "how many ways can # _ be|sit|stand arranged|ordered|placed|lined|in? .. row|line|shelf|order|circle",
        "number of arrangements|permutations of # people|books|objects|items|letters|things?",
        "how many arrangements|orders of|for # people|books|objects|items|letters?",
    ], |f| arranged(f.numbers.first()?.whole(20)?)),
    ways("Arrangements", &[
        "how many ways can letters of|in _ be arranged|ordered", "how many ways can you arrange letters of|in word? _",
        "how many arrangements of|are letters|there of|in word|letters? _", "arrange|arrangements of letters of|in word? _",
        "how many ways can letters of word _ be arranged|ordered", "number of arrangements of letters of|in word? _",
        "arrangements of word _", "how many anagrams of _", "how many arrangements of letters of|in word? _",
    ], letters),
    ways("Choices", &["# choose #"], |f| { let [n, k] = f.amounts()?; chosen(n.whole(1000)?, k.whole(1000)?) }),
    ways("Choices", &[
        
        "how many ways to|of choose|pick|select|choosing|selecting # people|books|students|players|items|things|cards|from|out from|of? #",
        "how many ways to|of choose|pick|select|choosing|selecting # people|books|students|players|items|things|cards? from|out # people|books|students|players|items|things|cards?",
        "how many ways can # people|books|students|players|items|things|be? be? chosen|picked|selected from # people|books|students|players|items|things?",
        "how many ways can you choose|pick|select # people|books|students|players|items|things|from? from? # people|books|students|players|items|things?",
        "in how many ways can # people|books|students|players|items be chosen|picked|selected from #",
        "how many committees|teams|groups of # from|can # people|players|students|be?",
        "how many teams|committees|groups of # can be made|chosen|formed from # people|players|students?", "combinations of # from #",
        "number of combinations of # from|taken # at|a|time?", "choose # from #",
    ], combinations),
    ways("Arrangements", &[
        "permutations of # from #", "how many ways can # people|runners|of finish|be first|arranged|second from|out? #",
        "how many permutations of # from #",
    ],
        |f| {
            let [k, n] = f.amounts()?;
            permutations(n.whole(20)?, k.whole(20)?)
        },
    ),
    ways("Handshakes", &[
        "how many handshakes among|between|with|for|if # people shake|all|everyone? hands?",
        "# people shake|all hands|shake? hands? how many handshakes", "# people shake hands how many handshakes",
        "# people all shake hands how many handshakes", "handshakes among|between # people",
    ], |f| chosen(f.numbers.first()?.whole(1000)?, 2)),
    ways("Choices", &[
        "how many outfits from|with # shirts and # trousers|skirts|pants",
        "how many different? outfits|meals|combinations from|with|of # _ and # _",
        "# _ and # _ how many outfits|combinations|meals|choices", "how many ways to choose|pick one _ and one _ from # _ and # _",
    ],
        |f| {
            let [a, b] = f.amounts()?;
            multiplied(a, b)
        },
    ),
];

const fn beside(
    topic: &'static str,
    wordings: &'static [&'static str],
    told: fn(&Found) -> Option<Told>,
) -> TaskKind {
    TaskKind::beside("fractions.lowest-terms", topic, wordings, told)
}

const fn ways(
    topic: &'static str,
    wordings: &'static [&'static str],
    told: fn(&Found) -> Option<Told>,
) -> TaskKind {
    TaskKind::beside("operations.order-brackets", topic, wordings, told)
}

/// So many of so many equally likely cases.
fn likely(of: &str, right: i64, all: i64, cases: &str) -> Told {
    let value = show(&Rational::new(right.into(), all.into()));
    let lines = Lines::default()
        .say(
            format!(
                "{cases} are equally likely; {right} of them {}.",
                if right == 1 { "fits" } else { "fit" }
            ),
            "Count the cases",
        )
        .begin(&format!("{right}/{all}"), "Those that fit, over all")
        .then(&value, "In lowest terms");
    Told::lines(format!("The probability of {of}"), lines, Answer::value(value).formed(Form::Any))
}

fn on_a_die(of: &str, fits: impl Fn(i64) -> bool) -> Option<Told> {
    let right = (1..=6).filter(|n| fits(*n)).count();
    Some(likely(&format!("{of} on a die"), i64::try_from(right).ok()?, 6, "The six faces"))
}

fn either_on_a_die(found: &Found) -> Option<Told> {
    let [a, b] = found.amounts()?;
    let (a, b) = (a.whole(6)?, b.whole(6)?);
    on_a_die(&format!("a {a} or a {b}"), |n| n == a || n == b)
}

fn named_on_a_die(found: &Found) -> Option<Told> {
    let names = ["one", "two", "three", "four", "five", "six"];
    let word = found.words.iter().rev().find(|word| {
        matches!(word.as_str(), "even" | "odd" | "prime" | "square")
            || names.contains(&word.as_str())
    })?;
    match word.as_str() {
        "even" => on_a_die("an even number", |n| n % 2 == 0),
        "odd" => on_a_die("an odd number", |n| n % 2 == 1),
        "prime" => on_a_die("a prime number", |n| matches!(n, 2 | 3 | 5)),
        "square" => on_a_die("a square number", |n| matches!(n, 1 | 4)),
        name => {
            let n = i64::try_from(names.iter().position(|one| *one == name)?).ok()? + 1;
            on_a_die(&format!("a {name}"), |k| k == n)
        }
    }
}

fn compared_on_a_die(found: &Found) -> Option<Told> {
    let n = found.numbers.first()?.whole(6)?;
    let less = found.words.iter().any(|word| matches!(word.as_str(), "less" | "lower" | "smaller"));
    if less {
        on_a_die(&format!("less than {n}"), |k| k < n)
    } else {
        on_a_die(&format!("more than {n}"), |k| k > n)
    }
}

fn on_two_dice(of: &str, fits: impl Fn(i64, i64) -> bool) -> Option<Told> {
    let right =
        (1..=6).flat_map(|a| (1..=6).map(move |b| (a, b))).filter(|(a, b)| fits(*a, *b)).count();
    Some(likely(&format!("{of} with two dice"), i64::try_from(right).ok()?, 36, "The 36 pairs"))
}

fn coins(wanted: i64, tossed: i64, side: &str) -> Option<Told> {
    if !(1..=10).contains(&tossed) || !(0..=tossed).contains(&wanted) {
        return None;
    }
    let all = 2_i64.pow(u32::try_from(tossed).ok()?);
    let right = choose(tossed, wanted)?;
    let side = if side.starts_with("tail") { "tails" } else { "heads" };
    Some(likely(
        &format!("{wanted} {side} in {tossed}"),
        right,
        all,
        &format!("The {all} outcomes"),
    ))
}

fn count_named(word: &str) -> Option<i64> {
    match word {
        "one" => Some(1),
        "two" | "2" => Some(2),
        "three" | "3" => Some(3),
        "four" | "4" => Some(4),
        _ => None,
    }
}

fn named_coins(found: &Found) -> Option<Told> {
    let counts: Vec<i64> = found.words.iter().filter_map(|word| count_named(word)).collect();
    let side =
        found.words.iter().find(|word| word.starts_with("head") || word.starts_with("tail"))?;
    let wanted = *counts.first()?;
    let tossed = match (counts.get(1), found.numbers.first()) {
        (Some(n), _) => *n,
        (None, Some(n)) => n.whole(10)?,
        // "Three heads in a row" are three tosses.
        _ => wanted,
    };
    coins(wanted, tossed, side)
}

fn counted_coins(found: &Found) -> Option<Told> {
    let side =
        found.words.iter().find(|word| word.starts_with("head") || word.starts_with("tail"))?;
    match &found.numbers[..] {
        [wanted, tossed] => coins(wanted.whole(10)?, tossed.whole(10)?, side),
        [wanted] => coins(wanted.whole(10)?, wanted.whole(10)?, side),
        _ => None,
    }
}

fn cards(found: &Found) -> Option<Told> {
    let kind = found.words.iter().rev().find(|word| {
        !matches!(
            word.as_str(),
            "probability"
                | "chance"
                | "picking"
                | "drawing"
                | "choosing"
                | "getting"
                | "taking"
                | "from"
                | "in"
                | "pack"
                | "deck"
                | "standard"
                | "normal"
                | "full"
                | "ordinary"
        )
    })?;
    if found.numbers.first().is_some_and(|n| n.whole(60) != Some(52)) {
        return None;
    }
    let right = match kind.as_str() {
        "ace" | "king" | "queen" | "jack" => 4,
        "heart" | "spade" | "club" | "diamond" => 13,
        "red" | "black" => 26,
        "picture" | "face" => 12,
        _ => return None,
    };
    Some(likely(&format!("a {kind} card"), right, 52, "The 52 cards"))
}

fn stem(word: &str) -> String {
    let word = word.to_lowercase();
    word.strip_suffix('s').filter(|word| word.len() > 2).unwrap_or(&word).to_owned()
}

fn bag(found: &Found, asks_first: bool) -> Option<Told> {
    let names: Vec<String> = found.names.iter().map(|word| stem(word)).collect();
    let counts: Vec<i64> =
        found.numbers.iter().map(|one| one.whole(100_000)).collect::<Option<_>>()?;
    if names.len() != counts.len() + 1 {
        return None;
    }
    // The colour asked for stands first or last.
    let (asked, kinds) = if asks_first {
        (&names[0], &names[1..])
    } else {
        (names.last()?, &names[..names.len() - 1])
    };
    let at = kinds.iter().position(|kind| kind == asked)?;
    let all: i64 = counts.iter().sum();
    if all == 0 {
        return None;
    }
    Some(likely(asked, counts[at], all, &format!("All {all}")))
}

fn complement(found: &Found) -> Option<Told> {
    let [p] = found.amounts()?;
    let value = if p.is_percent { &p.value / from_int(100) } else { p.value.clone() };
    let rest = from_int(1) - &value;
    if value.is_negative() || rest.is_negative() {
        return None;
    }
    let (typed, shown) = if p.is_percent {
        let rest = written(&(&rest * from_int(100)));
        (format!("100% - {}%", p.text), format!("{rest}%"))
    } else {
        (format!("1 - {}", p.text), if p.text.contains('/') { show(&rest) } else { written(&rest) })
    };
    let lines = Lines::start(&typed).then(&shown, "It happens or it does not: both together are 1");
    Some(Told::lines(
        format!("The probability of the opposite of {}", p.shown()),
        lines,
        Answer::value(shown),
    ))
}

fn expected(times: &Amount, chance: &Rational) -> Option<Told> {
    let value = &times.value * chance;
    let lines = Lines::start(&format!("{} × {}", times.text, written(chance)))
        .then(&written(&value), "How many times, times the probability");
    Some(Told::lines(
        format!("How often in {} trials, with probability {}", times.text, written(chance)),
        lines,
        Answer::value(written(&value)),
    ))
}

fn arranged(n: i64) -> Option<Told> {
    if !(1..=20).contains(&n) {
        return None;
    }
    let value: i64 = (1..=n).product();
    let factors: Vec<String> = (1..=n).rev().map(|k| k.to_string()).collect();
    let lines = Lines::start(&format!("{n}!"))
        .then(&factors.join(" × "), format!("{n} for the first place, one fewer for each next one"))
        .then(&value.to_string(), "Multiply");
    Some(Told::lines(
        format!("How many ways {n} can be put in order"),
        lines,
        Answer::value(value.to_string()),
    ))
}

fn letters(found: &Found) -> Option<Told> {
    let word = found.names.last()?;
    let signs: Vec<char> = word.to_lowercase().chars().collect();
    if !(2..=12).contains(&signs.len()) || !signs.iter().all(|c| c.is_alphabetic()) {
        return None;
    }
    let n = i64::try_from(signs.len()).ok()?;
    let factorial = |n: i64| (1..=n).product::<i64>();
    let mut distinct = signs.clone();
    distinct.sort_unstable();
    distinct.dedup();
    let counts: Vec<i64> = distinct
        .iter()
        .map(|one| signs.iter().filter(|c| *c == one).count() as i64)
        .filter(|n| *n > 1)
        .collect();
    let value = factorial(n) / counts.iter().map(|n| factorial(*n)).product::<i64>();
    let says = format!("How many ways the letters of {} can be put in order", word.to_uppercase());
    if counts.is_empty() {
        let lines = Lines::start(&format!("{n}!"))
            .then(&value.to_string(), format!("{n} letters, all different"));
        return Some(Told::lines(says, lines, Answer::value(value.to_string())));
    }
    let below: Vec<String> = counts.iter().map(|n| format!("{n}!")).collect();
    let lines = Lines::start(&format!("{n}!/({})", below.join(" × ")))
        .then(&value.to_string(), "Equal letters may change places unseen");
    Some(Told::lines(says, lines, Answer::value(value.to_string())))
}

fn choose(n: i64, k: i64) -> Option<i64> {
    if k > n || k < 0 {
        return None;
    }
    let mut value: i64 = 1;
    for i in 0..k.min(n - k) {
        value = value.checked_mul(n - i)? / (i + 1);
    }
    Some(value)
}

fn combinations(found: &Found) -> Option<Told> {
    let [one, other] = found.amounts()?;
    let (a, b) = (one.whole(1000)?, other.whole(1000)?);
    chosen(a.max(b), a.min(b))
}

fn chosen(n: i64, k: i64) -> Option<Told> {
    if !(1..=8).contains(&k) || n < k {
        return None;
    }
    let value = choose(n, k)?;
    let above: Vec<String> = (0..k).map(|i| (n - i).to_string()).collect();
    let below: Vec<String> = (1..=k).rev().map(|i| i.to_string()).collect();
    let lines = Lines::start(&format!("C({n}, {k})"))
        .then(
            &format!("({})/({})", above.join(" × "), below.join(" × ")),
            "One after the other, over the orders of those chosen",
        )
        .then(&value.to_string(), "Work it out");
    Some(Told::lines(
        format!("How many ways to choose {k} from {n}"),
        lines,
        Answer::value(value.to_string()),
    ))
}

fn permutations(n: i64, k: i64) -> Option<Told> {
    if !(1..=n).contains(&k) {
        return None;
    }
    let factors: Vec<i64> = (0..k).map(|i| n - i).collect();
    let value = factors.iter().try_fold(1_i64, |all, n| all.checked_mul(*n))?;
    let typed: Vec<String> = factors.iter().map(ToString::to_string).collect();
    let lines = Lines::start(&typed.join(" × "))
        .then(&value.to_string(), "One fewer to choose from each time");
    Some(Told::lines(
        format!("How many ways to put {k} of {n} in order"),
        lines,
        Answer::value(value.to_string()),
    ))
}

fn multiplied(a: &Amount, b: &Amount) -> Option<Told> {
    let value = a.whole(100_000)? * b.whole(100_000)?;
    let lines = Lines::start(&format!("{} × {}", a.text, b.text))
        .then(&value.to_string(), "Each goes with each");
    Some(Told::lines(
        format!("How many pairs of {} and {}", a.text, b.text),
        lines,
        Answer::value(value.to_string()),
    ))
}

/// Words with which more than one is taken, or the same one again.
const SEVERAL: &[&str] = &[
    "out",
    "removed",
    "lost",
    "eaten",
    "added",
    "left",
    "first",
    "two",
    "three",
    "both",
    "replacement",
    "replaced",
    "without",
    "then",
    "second",
    "again",
    "twice",
    "times",
    "another",
];

/// What tells things of a bag apart, without the end of a plural.
const COLOURS: &[&str] = &[
    "red",
    "blue",
    "green",
    "yellow",
    "white",
    "black",
    "orange",
    "purple",
    "pink",
    "brown",
    "grey",
    "gray",
    "gold",
    "silver",
    "violet",
    "boy",
    "girl",
    "men",
    "women",
    "lemon",
    "strawberry",
    "cherry",
    "mint",
    "toffee",
    "milk",
    "dark",
    "apple",
    "pear",
    "banana",
    "plum",
    "peach",
    "vanilla",
    "chocolate",
    "lime",
    "adult",
    "children",
];

/// One thing taken from a bag, or a die rolled once, in whatever words: "a bag holds 5 red, 3 blue and 2 green counters,
/// what is the probability of not picking red?"
pub(super) fn recognise(told: &Loose) -> Option<Recognised> {
    let asks =
        told.words.iter().rposition(|word| matches!(*word, "probability" | "chance" | "likely"))?;
    if told.says(SEVERAL) {
        return None;
    }
    let kind = |topic: &str| KINDS.iter().find(|kind| kind.topic == Some(topic));
    let (behind, is_not) = (&told.words[asks..], told.words[asks..].contains(&"not"));
    let label = |what: &str| if is_not { format!("not {what}") } else { what.to_owned() };
    if told.says(&["die", "dice"]) && !told.says(&["sum", "total", "product"]) {
        let fits: Box<dyn Fn(i64) -> bool> = die_fits(told, behind)?;
        let right = (1..=6).filter(|n| fits(*n) != is_not).count();
        let told = likely(
            &label("what is asked for on a die"),
            i64::try_from(right).ok()?,
            6,
            "The six faces",
        );
        return Some((kind("Dice").or_else(|| KINDS.first())?, told));
    }
    let count = |at: usize, amount: &Amount| Some((told.noun(at), amount.whole(100_000)?));
    let kinds: Vec<(&str, i64)> =
        told.numbers.iter().map(|(at, amount)| count(*at, amount)).collect::<Option<_>>()?;
    let is_asked =
        |(name, _): &&(&str, i64)| behind.iter().any(|word| word.trim_end_matches('s') == *name);
    let asked: Vec<&(&str, i64)> = kinds.iter().filter(is_asked).collect();
    let all: i64 = kinds.iter().map(|(_, count)| count).sum(); // "20 pens, 5 of them red" tells the whole: kinds that lie side by side are told by their colours.
    let are_known = kinds.len() > 1 && kinds.iter().all(|(name, _)| COLOURS.contains(name));
    if !are_known
        || asked.is_empty()
        || asked.len() > 2
        || all == 0
        || asked.len() == 2 && !behind.contains(&"or")
    {
        return None;
    }
    let right: i64 = asked.iter().map(|(_, count)| count).sum();
    let right = if is_not { all - right } else { right };
    let names: Vec<&str> = asked.iter().map(|(name, _)| *name).collect();
    let told = likely(&label(&names.join(" or ")), right, all, &format!("All {all}"));
    Some((kind("Bags").or_else(|| KINDS.first())?, told))
}

/// Which faces of a die are asked for.
fn die_fits(told: &Loose, behind: &[&str]) -> Option<Box<dyn Fn(i64) -> bool>> {
    let says = |words: &[&str]| behind.iter().any(|word| words.contains(word));
    let numbers: Vec<i64> = told.numbers.iter().map(|(_, n)| n.whole(6)).collect::<Option<_>>()?;
    match numbers[..] {
        [n] if told.says_in_order(&["at", "least"]) || told.says_in_order(&["or", "more"]) => {
            Some(Box::new(move |k| k >= n))
        }
        [n] if told.says_in_order(&["at", "most"]) || told.says_in_order(&["or", "less"]) => {
            Some(Box::new(move |k| k <= n))
        }
        [n] if says(&["greater", "more", "higher", "larger", "bigger", "over", "above"]) => {
            Some(Box::new(move |k| k > n))
        }
        [n] if says(&["less", "smaller", "lower", "fewer", "under", "below"]) => {
            Some(Box::new(move |k| k < n))
        }
        [n] if says(&["multiple"]) && n > 0 => Some(Box::new(move |k| k % n == 0)),
        [n] if says(&["factor"]) => Some(Box::new(move |k| n % k == 0)),
        [n] => Some(Box::new(move |k| k == n)),
        [a, b] if says(&["or"]) => Some(Box::new(move |k| k == a || k == b)),
        [] if says(&["even"]) => Some(Box::new(|k| k % 2 == 0)),
        [] if says(&["odd"]) => Some(Box::new(|k| k % 2 == 1)),
        [] if says(&["prime"]) => Some(Box::new(|k| matches!(k, 2 | 3 | 5))),
        [] if says(&["square"]) => Some(Box::new(|k| matches!(k, 1 | 4))),
        [] if says(&["six"]) => Some(Box::new(|k| k == 6)),
        _ => None,
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn choices_are_counted() {
        assert_eq!(
            (choose(8, 2), choose(5, 5), choose(2, 3), choose(52, 5)),
            (Some(28), Some(1), None, Some(2_598_960))
        );
    }
}
