//! Whole solutions, as different students write them: neat, terse, wordy, by arithmetic or by algebra, with units
//! everywhere and with none. What is said of every line stands behind it; a solution ends with `answered` where its
//! answer stands there.

/// The rung, and its solutions.
pub type Solutions = (&'static str, &'static [&'static [&'static str]]);

#[rustfmt::skip]
pub const ALL: &[Solutions] = &[
    ("add-sub.column/grip", &[
        &["663 + 236 => holds", "899 => holds", "answered"],
        &["600 + 200 = 800 => holds", "60 + 30 = 90 => holds", "3 + 6 = 9 => holds", "899 => holds", "answered"],
        &["= 899 => holds", "answered"],
        &["663 + 236 = 889 => breaks"],
    ]),
    ("add-sub.column/tilt", &[
        &["705 - 127 = 578 => holds", "answered"],
        &["Line 2 breaks; 578 => holds", "answered"],
        &["Line 3 breaks; 578 => kept"],
    ]),
    ("add-sub.column/climb", &[
        &["143 + 227 = 370 => holds", "370 - 212 = 158 => holds", "158 cents left => holds", "answered"],
        &["143+227-212=158 => holds", "answered"],
        &["She saves 370 cents. => kept", "370 - 212 = 158 => holds", "She has 158 cents left for frames. => holds", "answered"],
    ]),
    ("multiply.facts-signed/grip", &[
        &["96 => holds", "answered"],
        &["8 × 10 = 80 => holds", "8 × 2 = 16 => holds", "80 + 16 = 96 => holds", "answered"],
        &["8 x 12 = 86 => breaks"],
    ]),
    ("multiply.facts-signed/tilt", &[
        &["positive => holds", "answered"],
        &["It is positive because two minus signs make plus => holds", "answered"],
        &["negative => breaks"],
    ]),
    ("multiply.facts-signed/climb", &[
        &["5 × -4 = -20 => holds", "-20cm => holds", "answered"],
        &["5 x 4 = 20 => holds", "20 => breaks"],
    ]),
    ("rounding.places/grip", &[
        &["540 => holds", "answered"],
        &["544 ≈ 540 => holds", "answered"],
        &["It rounds to 540 => holds", "answered"],
        &["550 => breaks"],
    ]),
    ("rounding.places/tilt", &[
        &["115 => holds", "answered"],
        &["116 => breaks"],
    ]),
    ("rounding.places/climb", &[
        &["140 ÷ 12 = 11.67 => holds", "12 => holds", "answered"],
        &["140 ÷ 12 = 11 r 8 => holds", "12 groups => holds", "answered"],
        &["11 groups => breaks"],
        &["12 × 11 = 132 => holds", "132 < 140 => holds", "so 12 groups are needed => holds", "answered"],
    ]),
    ("numbers.classify/grip", &[
        &["irrational => holds", "answered"],
        &["It is irrational. => holds", "answered"],
        &["rational => breaks"],
    ]),
    ("numbers.classify/tilt", &[
        &["false because π is not 3.14 => holds", "answered"],
        &["No => holds", "answered"],
        &["true => breaks"],
    ]),
    ("primes.factor-tree/grip", &[
        &["2 × 3 × 7 => holds", "answered"],
        &["42 = 2 × 21 => holds", "42 = 2 × 3 × 7 => holds", "answered"],
        &["6 × 7 => holds"],
    ]),
    ("primes.factor-tree/climb", &[
        &["12 = 2 × 2 × 3 => holds", "28 = 2 × 2 × 7 => holds", "HCF = 4 => holds", "4 boxes => holds", "answered"],
        &["factors of 12: 1, 2, 3, 4, 6, 12 => kept", "factors of 28: 1, 2, 4, 7, 14, 28 => kept", "4 => holds", "answered"],
    ]),
    ("fractions.add-subtract/grip", &[
        &["12/9 => holds", "4/3 => holds", "answered"],
        &["4/9 + 8/9 = 12/9 = 4/3 => holds", "answered"],
        &["12/18 => breaks"],
        &["1 1/3 => holds", "answered"],
    ]),
    ("fractions.add-subtract/tilt", &[
        &["16/20 + 5/20 = 21/20 => holds", "answered"],
        &["21/20 => holds", "answered"],
    ]),
    ("fractions.add-subtract/climb", &[
        &["2 2/7 + 2 1/6 = 4 19/42 => holds", "2 × 4 19/42 = 8 38/42 => holds", "187/21 m => holds", "answered"],
    ]),
    ("fdp.convert/grip", &[
        &["0.6 => holds", "answered"],
        &["3 ÷ 5 = 0.6 => holds", "answered"],
        &["6/10 = 0.6 => holds", "answered"],
        &["3.5 => breaks"],
    ]),
    ("fdp.convert/tilt", &[
        &["0.28 => holds", "answered"],
        &["11/50 = 0.22 => holds", "23% = 0.23 => holds", "0.28 => holds", "answered"],
    ]),
    ("fdp.convert/climb", &[
        &["22/25 = 88% => holds", "100% - 88% = 12% => holds", "12% => holds", "answered"],
        &["3/25 = 12/100 = 12% => holds", "answered"],
    ]),
    ("ratio.missing-term/grip", &[
        &["n = 4 => holds", "answered"],
        &["4 => holds", "answered"],
        &["10n = 40 => holds", "n = 4 => holds", "answered"],
        &["20 ÷ 10 = 2 => holds", "n = 4 => holds", "answered"],
        &["n = 12 => breaks"],
    ]),
    ("ratio.missing-term/climb", &[
        &["28 ÷ 7 = 4 => holds", "4 × 4 = 16 => holds", "16 patches => holds", "answered"],
        &["7 min -> 4 patches => kept", "28 min -> 16 patches => kept"],
        &["4:7 = n:28 => holds", "7n = 112 => holds", "n = 16 => holds", "answered"],
        &["x/28 = 4/7 => holds", "x = 16 => holds", "answered"],
        &["28 - 7 = 21 => holds", "4 + 21 = 25 => holds"],
        &["4/7 × 28 = 16 => holds", "answered"],
    ]),
    ("ratio.share/grip", &[
        &["1 + 2 = 3 => holds", "33 ÷ 3 = 11 => holds", "11 candles => holds", "answered"],
        &["Leo gets 11, Priya gets 22 => kept"],
        &["33/2 = 16.5 => holds"],
    ]),
    ("ratio.share/tilt", &[
        &["6 - 5 = 1 part = 5 => kept", "11 × 5 = 55 => holds", "answered"],
        &["5x + 5 = 6x => kept", "x = 5 => holds", "11 × 5 = 55 => holds", "answered"],
    ]),
    ("ratio.share/climb", &[
        &["2 + 3 + 8 = 13 => holds", "130 ÷ 13 = 10 => holds", "8 × 10 = 80 => holds", "The best hive gives 80 kg. => holds", "answered"],
        &["2+3+8=13 parts => holds", "1 part = 130/13 = 10 kg => kept", "best = 8 × 10 = 80 kg => holds", "answered"],
        &["130 ÷ 8 = 16.25 => holds"],
        &["80kg => holds", "answered"],
    ]),
    ("percent.part/grip", &[
        &["280 ÷ 2 = 140 => holds", "answered"],
        &["0.5 × 280 = 140 => holds", "answered"],
        &["50% of 280 = 140 => holds", "answered"],
    ]),
    ("percent.part/tilt", &[
        &["205 => holds", "answered"],
        &["2.05 × 100 = 205 => holds", "answered"],
    ]),
    ("percent.part/climb", &[
        &["10% = 70 => holds", "5% = 35 => holds", "35% = 70 × 3 + 35 = 245 => holds", "245 jars => holds", "answered"],
        &["0.35 × 700 = 245 => holds", "answered"],
        &["35/100 × 700 = 245 jars sold => holds", "answered"],
        &["700 - 245 = 455 => holds", "455 jars => kept"],
        &["35 × 700 = 24500 => holds"],
    ]),
    ("percent.whole/grip", &[
        &["0.15n = 66 => holds", "n = 440 => holds", "answered"],
        &["66 ÷ 0.15 = 440 => holds", "answered"],
        &["15% = 66 => holds", "1% = 4.4 => holds", "100% = 440 => holds", "answered"],
    ]),
    ("percent.whole/tilt", &[
        &["divide => holds", "answered"],
        &["You divide because we know the part => kept"],
    ]),
    ("percent.whole/climb", &[
        &["342 ÷ 0.9 = 380 => holds", "answered"],
        &["90% = 342 => holds", "10% = 38 => holds", "100% = 380 => holds", "380 jars => holds", "answered"],
        &["0.9x = 342 => holds", "x = 380 => holds", "answered"],
        &["let j be the number of jars => kept", "0.9j = 342 => holds", "j = 342/0.9 => holds", "j = 380 => holds", "answered"],
        &["342 × 0.9 = 307.8 => holds"],
    ]),
    ("percent.rate/grip", &[
        &["168/400 = 0.42 => holds", "42% => holds", "answered"],
        &["168 ÷ 4 = 42 => holds", "42% => holds", "answered"],
        &["0.42 => holds"],
    ]),
    ("percent.rate/climb", &[
        &["26/52 = 50% => holds", "113/452 = 25% => holds", "oak hive => holds", "answered"],
        &["26 ÷ 52 = 0.5 => holds", "113 ÷ 452 = 0.25 => holds", "0.5 > 0.25 => holds", "The oak hive has the larger part. => holds", "answered"],
    ]),
    ("equations.linear/grip", &[
        &["x = 8 + 3 => holds", "x = 11 => holds", "answered"],
        &["x - 3 + 3 = 8 + 3 => holds", "x = 11 => holds", "answered"],
        &["x = 5 => breaks"],
        &["11 => holds", "answered"],
    ]),
    ("equations.linear/tilt", &[
        &["6x - 2 = 46 => holds", "6x = 48 => holds", "x = 8 => holds", "answered"],
        &["Line 2 breaks; x = 8 => holds", "answered"],
    ]),
    ("equations.linear/climb", &[
        &["34 - 14 = 20 => holds", "20 ÷ 5 = 4 => holds", "4 kg => holds", "answered"],
        &["14 + 5x = 34 => holds", "5x = 20 => holds", "x = 4 => holds", "One frame weighs 4 kg. => holds", "answered"],
        &["34kg - 14kg = 20kg => holds", "20kg ÷ 5 = 4kg => holds", "answered"],
        &["5x = 34 => kept", "x = 6.8 => holds"],
        &["34 = 14 + 5f => holds", "20 = 5f => holds", "f = 4 => holds", "answered"],
    ]),
    ("sequences.linear-geometric/grip", &[
        &["13 + 7 = 20 => holds", "answered"],
        &["+7 => kept", "20 => holds", "answered"],
        &["The next number is 20. => holds", "answered"],
    ]),
    ("sequences.linear-geometric/tilt", &[
        &["6n - 8 = 208 => holds", "6n = 216 => holds", "n = 36 => holds", "answered"],
        &["208 + 8 = 216 => holds", "216 ÷ 6 = 36 => holds", "n = 36 => holds", "answered"],
        &["(208 + 2)/6 + 1 = 36 => holds", "answered"],
    ]),
    ("sequences.linear-geometric/climb", &[
        &["a_n = 7 + (n-1) × 2 => kept", "a_39 = 7 + 38 × 2 = 83 => holds", "answered"],
        &["38 × 2 = 76 => holds", "76 + 7 = 83 => holds", "83 flags => holds", "answered"],
        &["39 × 2 = 78 => holds", "78 + 7 = 85 => holds"],
    ]),
    ("measure.convert/grip", &[
        &["5.6 × 10 = 56 => holds", "56mm => holds", "answered"],
        &["1 cm = 10 mm => holds", "5.6 cm = 56 mm => holds", "answered"],
        &["5.6 cm = 0.56 mm => breaks"],
    ]),
    ("measure.convert/tilt", &[
        &["9.5 km = 9500 m => holds", "9800 m => holds", "answered"],
        &["9800m is more => holds", "answered"],
        &["9.5 km => breaks"],
    ]),
    ("measure.convert/climb", &[
        &["7 × 450 = 3150 mL => holds", "3150 ÷ 1000 = 3.15 L => holds", "answered"],
        &["450 ml = 0.45 l => holds", "7 × 0.45 = 3.15 l => holds", "answered"],
        &["3150 => kept"],
        &["3150 mL => holds", "answered"],
    ]),
    ("area.triangle/grip", &[
        &["A = bh/2 => holds", "A = 30 × 22 / 2 => holds", "A = 330 cm² => holds", "answered"],
        &["30 x 22 = 660 => holds", "660 / 2 = 330 => holds", "answered"],
        &["30 × 22 = 660 cm² => holds"],
        &["A = 1/2 b h = 1/2 × 30 × 22 = 330 => holds", "answered"],
        &["30 × 25 ÷ 2 = 375 => holds"],
    ]),
    ("area.triangle/tilt", &[
        &["A = 1/2 b h => holds", "130 = 1/2 × 13 × h => holds", "130 = 6.5h => holds", "h = 20 => holds", "answered"],
        &["130 × 2 = 260 => holds", "260 ÷ 13 = 20 => holds", "20 cm => holds", "answered"],
        &["130 ÷ 13 = 10 => holds", "h = 10 => breaks"],
        &["h = 2A/b => holds", "h = 2 × 130 / 13 => holds", "h = 20 cm => holds", "answered"],
    ]),
    ("area.triangle/climb", &[
        &["rectangle: 26 × 6 = 156 => holds", "triangle: 26 × 20 ÷ 2 = 260 => holds", "156 + 260 = 416 dm² => holds", "answered"],
        &["26*6=156 => holds", "26*20=520 => holds", "156+520=676 => holds"],
        &["A = 156 dm^2 + 260 dm^2 = 416 dm^2 => holds", "answered"],
        &["Area of rectangle = 26 × 6 = 156 => holds", "Area of triangle = 1/2 × 26 × 20 = 260 => holds", "Total area = 156 + 260 = 416 => holds", "answered"],
        &["A = bh/2 => holds", "416 => holds", "answered"],
    ]),
    ("area.composite/grip", &[
        &["15 × 13 - 8 × 6 = 147 => holds", "answered"],
        &["15 × 13 = 195 => holds", "8 × 6 = 48 => holds", "195 - 48 = 147 cm² => holds", "answered"],
    ]),
    ("area.composite/tilt", &[
        &["13 × 7 = 91 => holds", "106 - 91 = 15 => holds", "15 ÷ 3 = 5 => holds", "5 cm => holds", "answered"],
        &["91 + 3w = 106 => holds", "3w = 15 => holds", "w = 5 => holds", "answered"],
    ]),
    ("area.composite/climb", &[
        &["13 × 11 = 143 => holds", "7 × 6 = 42 => holds", "143 - 42 = 101 => holds", "101 × 6 = 606 => holds", "$606 => holds", "answered"],
        &["13m x 11m = 143 m² => holds", "7m x 6m = 42 m2 => holds", "143 - 42 = 101 m² => holds", "101 * 6 = 606 dollars => holds", "answered"],
        &["A = 13 × 11 - 7 × 6 = 101 => holds", "cost = 101 × 6 = 606 => holds", "It costs 606 dollars. => holds", "answered"],
        &["13 × 11 = 133 => breaks", "133 - 42 = 91 => holds", "91 × 6 = 546 => holds"],
        &["143 × 6 = 858 => holds"],
        &["total area is 143 => kept", "minus corner 42 => kept", "101 => kept", "101*6 => holds", "606 => holds", "answered"],
    ]),
    ("circle.area/grip", &[
        &["A = πr² => holds", "A = π × 15² => holds", "A = 225π cm² => holds", "answered"],
        &["225π => holds", "answered"],
        &["706.86 => breaks"],
    ]),
    ("circle.area/tilt", &[
        &["πr² = 25π => holds", "r² = 25 => holds", "r = 5 => holds", "answered"],
        &["25π ÷ π = 25 => holds", "√25 = 5 => holds", "r = 5 cm => holds", "answered"],
    ]),
    ("circle.area/climb", &[
        &["A = πR² - πr² => kept", "π × 100 - π × 16 = 84π => holds", "84π = 263.9 => holds", "263.9 m² => holds", "answered"],
        &["100π - 16π => holds", "84π => holds", "≈ 263.9 => holds", "answered"],
        &["314.2 - 50.3 = 263.9 => holds", "answered"],
        &["A = 3.14 × 100 - 3.14 × 16 = 263.76 => kept"],
        &["10 - 4 = 6 => holds", "π × 6² = 113.1 => holds"],
    ]),
    ("pythagoras/grip", &[
        &["c² = 14² + 48² = 2500 => holds", "c = 50 => holds", "answered"],
        &["196 + 2304 = 2500 => holds", "√2500 = 50 cm => holds", "answered"],
        &["14 + 48 = 62 => holds"],
    ]),
    ("pythagoras/tilt", &[
        &["81 + 144 = 225 => holds", "15² = 225 => holds", "yes because 81 + 144 = 225 => holds", "answered"],
        &["true => holds", "answered"],
    ]),
    ("pythagoras/climb", &[
        &["c² = 3² + 4² => holds", "c² = 25 => holds", "c = 5 => holds", "5 cm => holds", "answered"],
        &["3² + 4² = 25 => holds", "√25 = 5 => holds", "answered"],
        &["9 + 16 = 25 => holds", "5cm => holds", "answered"],
        &["3 + 4 = 7 => holds"],
        &["a^2 + b^2 = c^2 => holds", "9 + 16 = c^2 => holds", "c = 5 cm => holds", "answered"],
    ]),
    ("trig.side/grip", &[
        &["sin(28°) = x/25 => holds", "x = 25 × sin 28 => holds", "x = 11.7 => holds", "answered"],
        &["opp = 25 sin(28) = 11.7 cm => kept"],
        &["25 × cos 28° = 22.1 => holds"],
    ]),
    ("trig.side/tilt", &[
        &["sin 35 = 30/x => holds", "x = 30/sin 35 => holds", "x = 52.3 => holds", "answered"],
        &["x = 30 ÷ 0.5736 = 52.3 => holds", "answered"],
    ]),
    ("trig.side/climb", &[
        &["the theorem of Pythagoras => holds", "answered"],
        &["Pythagoras => holds", "answered"],
    ]),
];
