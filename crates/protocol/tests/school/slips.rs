//! One classic mistake each: refused, and named where one of our slips fits.

#[rustfmt::skip]
pub const ROWS: &[&str] = &[
    // integers: signs: minus times minus is plus
    r"(-4)(-6) -> -24 => minus-times-minus",
    r"(-7)(-1) -> -7 => minus-times-minus",
    // integers: one minus lost: a product of unlike signs is negative
    r"-4 × 6 -> 24 => minus-times-minus",
    // integers: subtract a negative: taking away a negative adds
    r"-2 - (-5) -> -7 => took-away-a-negative",
    r"4 - -3 -> 1 => took-away-a-negative",
    // integers: larger from smaller: took the smaller from the larger
    r"owed: -3 + 1 -> -4 => subtracted-other-way-round",
    // integers: adds sizes, keeps a sign: added the sizes instead of the difference
    r"-7 + 4 -> -11 => none of ours",
    // order of operations: multiplication first
    r"7 + 3 × 5 -> 50 => left-to-right",
    r"20 - 6 ÷ 2 -> 7 => left-to-right",
    r"8 + 2 × 3² -> 90 => left-to-right",
    // order: power before product: power first
    r"2 × 3² -> 36 => left-to-right | power-missed-a-factor | exponent-as-factor",
    // order: subtraction from the right: work from left to right
    r"24 ÷ 4 ÷ 2 -> 12 => none of ours",
    r"15 - 6 + 4 -> 5 => none of ours",
    // square as double: squared means times itself
    r"2^5 -> 10 => exponent-as-factor",
    r"(1/3)² -> 2/3 => exponent-as-factor",
    // minus sign squared away: -3² is -(3²)
    r"4 - 3² -> 13 => sign-squared-away",
    // place value: carry forgotten: a ten was not carried
    r"47 + 38 -> 75 => none of ours",
    // place value: smaller from larger digit: subtracted the smaller digit from the larger
    r"403 - 167 -> 364 => none of ours",
    r"71-45 -> 34 => none of ours",
    // place value: zeros: a zero was lost or put
    r"1000 - 1 -> 99 => none of ours",
    // decimals: point: the point moved wrongly
    r"0.3 × 0.2 -> 0.6 => none of ours",
    r"2.4 ÷ 100 -> 0.24 => none of ours",
    r"0.45 × 10 -> 0.450 => none of ours",
    // one off: a times table fact is off
    r"6 × 9 -> 56 => none of ours",
    r"12 × 12 -> 142 => none of ours",
    // fractions: tops and bottoms added: common denominator first
    r"1 + 1/2 -> 2/3 => added-denominators",
    r"3/8 + 1/4 -> 4/12 => added-denominators",
    // fractions: denominator found, top not scaled: the top must be scaled too
    r"2/3 - 1/5 -> 1/15 => none of ours",
    // fractions: wrong one turned over: turn over the second
    r"(2/3) ÷ (5/7) -> 15/14 => inverted-wrong-fraction",
    // fractions: divided straight across as product: turn the second over
    r"(3/4) ÷ (2/5) -> 6/20 => inverted-wrong-fraction",
    r"\frac{5}{6}\div\frac{1}{2} -> \frac{5}{12} => inverted-wrong-fraction",
    // fractions: multiplied one part: only one part multiplied
    r"1/2 of 3/4 -> 3/4 => none of ours",
    // fractions: cross multiplied a product: multiplied crosswise instead of straight
    r"2/3 × 4/5 -> 10/12 => none of ours",
    // fractions: simplified one part: divide both parts
    r"24/36 -> 4/9 => none of ours",
    // fractions: subtracted the same from both: divide, do not subtract
    r"8/12 -> 6/10 => none of ours",
    // mixed numbers: wrong pair: whole times denominator plus numerator
    r"4 2/3 -> 24/3 => none of ours",
    r"17/5 -> 5 2/3 => none of ours",
    // mixed numbers: borrow: a whole was not taken apart
    r"-2 1/2 -> -1 1/2 => none of ours",
    // mixed numbers: parts multiplied apart: write as improper first
    r"2 1/2 × 3 1/3 -> 6 1/6 => none of ours",
    // percent read as a number: per cent is a hundredth
    r"30% × 50 -> 1500 => percent-as-number",
    // percent: one digit: 5% is 0.05
    r"5% -> 0.5 => percent-as-number | wrong-power-of-ten",
    r"1.5% -> 0.15 => percent-as-number | wrong-power-of-ten",
    // percent: divides by the percent: x% is x hundredths, not a division by x
    r"20% of 60 -> 60/20 => none of ours",
    // percent: change: the multiplier is 1 plus or minus
    r"200 × (1 - 0.3) -> 200 × 0.3 => none of ours",
    r"50 × 1.1 × 0.9 -> 50 => none of ours",
    // percent: fraction as digits: 3/8 is not 38%
    r"1/4 -> 0.4 => none of ours",
    r"2/3 -> 23% => none of ours",
    // ratio: added instead of scaled: scale both, do not add
    r"n/8 = 3/4 -> n = 7 => added-instead-of-scaling",
    r"4:6 -> 5:7 => added-instead-of-scaling",
    // proportion: multiplied straight: multiply across the diagonal
    r"x/3 = 8/6 -> 8x = 18 => multiplied-straight-across",
    r"2:3 = x:9 -> 2x = 27 => multiplied-straight-across",
    // ratio: order: the order matters
    r"a:b = 3:4 -> 3a = 4b => none of ours",
    // unlike terms collected: not like terms
    r"4x + 3 -> 7x => collected-unlike-terms",
    r"5 + 2y -> 7y => collected-unlike-terms | left-to-right",
    r"6x - 4 -> 2x => collected-unlike-terms",
    // coefficient of one: x is 1x
    r"6x - x -> 6 => coefficient-of-one-forgotten",
    r"4a - a -> 4 => coefficient-of-one-forgotten",
    // bracket: second term not multiplied: multiply everything inside
    r"x(x + 4) -> x² + 4 => second-term-not-multiplied",
    r"4(2a - b) -> 8a - b => second-term-not-multiplied",
    // bracket: minus with second term: minus times minus is plus
    r"-2(3 - y) -> -6 - 2y => minus-times-minus | sign-lost-in-bracket",
    r"5 - 2(x - 1) -> 3 - 2x => minus-times-minus | sign-lost-in-bracket",
    // minus before a bracket: the minus belongs to every term
    r"3x - (x + 4) -> 2x + 4 => sign-lost-in-bracket",
    r"(6x+1) - (4x-3) -> 2x - 2 => sign-lost-in-bracket",
    // two brackets: first and last: four products
    r"(2x+1)(x+3) -> 2x²+3 => first-and-last-only",
    // two brackets: middle sign: sign of the middle term
    r"(x+3)(x-5) -> x²+2x-15 => none of ours",
    // square of a sum: the double product is missing
    r"(a - b)² -> a² - b² => squared-each-term | first-and-last-only",
    r"(3x + 2)² -> 9x² + 4 => squared-each-term | first-and-last-only",
    // factorising: signs: the pair of numbers has the wrong signs
    r"x² - x - 6 -> (x-2)(x+3) => none of ours",
    r"x² - 7x + 10 -> (x+2)(x+5) => none of ours",
    // factorising: common factor: what is left in the bracket is wrong
    r"10x² - 5x -> 5x(2x) => none of ours",
    // difference of squares: (a-b)(a+b), not a square
    r"x² - 16 -> (x - 4)² => difference-as-square",
    // fraction: a term crossed out: only factors cancel
    r"(2x + 8)/2 -> x + 8 => cancelled-a-term | divided-first-term-only",
    r"(x² + 3)/x -> x + 3 => cancelled-a-term | divided-first-term-only",
    // fraction: first term only divided: divide every term
    r"(8x + 12)/4 -> 2x + 12 => divided-first-term-only | cancelled-a-term",
    r"(10a - 5)/5 -> 2a - 5 => divided-first-term-only | cancelled-a-term",
    // algebraic fractions: tops and bottoms: common denominator
    r"2/x + 3 -> 5/x => added-denominators",
    r"a/b + c/d -> (a+c)/(b+d) => added-denominators",
    // indices: multiplied: add the exponents
    r"3^4×3 -> 3^4 => multiplied-exponents",
    // indices: added in a power: multiply the exponents
    r"(a³)² -> a⁵ => added-exponents-of-power",
    // indices: divided: subtract the exponents
    r"a⁶ ÷ a³ -> a² => divided-exponents",
    r"10^8/10^4 -> 10^2 => divided-exponents",
    // indices: a sum of powers: powers are not added
    r"x² + x³ -> x⁵ => none of ours",
    r"2^3 + 2^4 -> 2^7 => none of ours",
    // power missed a factor: every factor is raised
    r"(xy)^3 -> xy^3 => power-missed-a-factor",
    r"(5x)^2 -> 10x^2 => power-missed-a-factor",
    // negative exponent as a sign: one over
    r"5^-1 -> -5 => negative-exponent-as-sign",
    r"4^(-2) -> -8 => negative-exponent-as-sign | exponent-as-factor",
    // zero exponent: anything but zero to the zero is 1
    r"7^0 -> 7 => zero-exponent-as-zero",
    // fractional exponent: the bottom is a root
    r"16^(1/2) -> 8 => exponent-as-factor",
    // root of a sum: no root of each term
    r"√(16 + 9) -> 7 => root-of-each-term",
    r"√(x² + 25) -> x + 5 => root-of-each-term",
    // radicands added: √a + √b is not √(a+b)
    r"√2 + √2 -> √4 => added-radicands",
    r"2√3 + 4√2 -> 6√5 => added-radicands",
    // surds: both of the pair: one of each pair comes out
    r"√18 -> 9√2 => none of ours",
    r"√72 -> 6√12 => none of ours",
    // root as half: a root is not a half
    r"√x² -> x²/2 => halved-instead-of-rooted",
    // rationalising: multiply top and bottom
    r"5/√2 -> 5√2 => none of ours",
    // sign kept when moving: change the sign
    r"x + 9 = 15 -> x = 24 => kept-sign-when-moving",
    r"2x - 5 = 9 -> 2x = 4 => kept-sign-when-moving",
    r"7 - 2x = 1 -> 2x = 8 => kept-sign-when-moving",
    // divided the wrong way: divide by the number of x
    r"5x = 20 -> x = 1/4 => divided-wrong-way",
    // subtracted instead of dividing: undo a product by dividing
    r"3x = 12 -> x = 9 => subtracted-instead-of-dividing",
    r"7x = 7 -> x = 0 => subtracted-instead-of-dividing",
    // done to one side: do it to both
    r"x - 6 = 2 -> x = 2 => done-to-one-side",
    // divided one term: divide every term
    r"2x + 8 = 12 -> x + 8 = 6 => divided-one-term",
    // fraction cleared from one term: multiply every term
    r"x/2 - 4 = 1 -> x - 4 = 2 => multiplied-one-term",
    r"x/4 + x/2 = 6 -> x + 2x = 6 => multiplied-one-term",
    // inverse of a fraction coefficient: divide by 2/3 is times 3/2
    r"3/4 x = 12 -> x = 9 => none of ours",
    // sign at the end lost: divide by -1 too
    r"9 - x = 4 -> x = -5 => subtracted-other-way-round | kept-sign-when-moving",
    // root of one sign: two roots
    r"x² = 64 -> x = 8 => root-of-one-sign",
    r"(x - 1)² = 9 -> x - 1 = 3 => root-of-one-sign",
    // halved a square: take the root
    r"x² = 10 -> x = 5 => halved-instead-of-rooted",
    r"x² = 100 -> x = ±50 => halved-instead-of-rooted",
    // divided by the unknown: x may be 0
    r"x³ = 9x -> x² = 9 => divided-by-unknown",
    // product not zero split: only zero products split
    r"(x - 1)(x + 2) = 4 -> x - 1 = 4 or x + 2 = 4 => split-without-zero",
    // roots with the sign of the bracket: x - 2 = 0 gives x = 2
    r"(x+1)(x+4)=0 -> x = 1 or x = 4 => none of ours",
    r"(2x - 3)(x+1) = 0 -> x = 3 or x = -1 => none of ours",
    // squared term by term: square the whole side
    r"√x + 3 = 7 -> x + 9 = 49 => squared-each-term",
    r"√(x+1) = x - 1 -> x + 1 = x² - 1 => squared-each-term",
    // formula: -b: minus b
    r"x² + 2x - 8 = 0 -> x = (-2 ± √(4-32))/2 => sign-lost-in-formula",
    r"x² + 6x + 5 = 0 -> x = -6 ± √(36-20)/2 => sign-lost-in-formula",
    // absolute value: case sign: negate the whole side
    r"|x + 1| = 4 -> x + 1 = 4 or x - 1 = 4 => none of ours",
    r"|x - 3| = 2 -> x = 5 or x = -5 => none of ours",
    // elimination: subtract every term
    r"2x + 3y = 7; 2x - y = 3 -> 2y = 4; 2x - y = 3 => none of ours",
    r"5x - 2y = 4; 3x - 2y = 0 -> 2x - 4y = 4; 3x - 2y = 0 => none of ours",
    // inequality not turned: turn the sign
    r"-4x ≤ 20 -> x ≤ -5 => sign-not-turned",
    // inequality turned for nothing: only a negative turns it
    r"2x > -8 -> x < -4 => none of ours",
    // square inequality: two ends
    r"x² > 25 -> x > 5 => none of ours",
    r"x² ≤ 9 -> x ≤ ±3 => none of ours",
    // log of a sum: log is not linear
    r"log_2(8 + 8) -> log_2 8 + log_2 8 => logarithm-of-each-term",
    // sum of logs: a sum is the log of the product
    r"log 4 + log 6 -> log 10 => logarithms-merged-as-sum",
    // quotient of logs: not the quotient
    r"log 20/log 5 -> log 4 => logarithms-multiplied",
    r"log_2(4×8) -> log_2 4 × log_2 8 => logarithms-multiplied",
    // exponential: taken as factor: take logarithms
    r"3^x = 12 -> x = 4 => exponent-as-factor",
    r"10^x = 50 -> x = 5 => exponent-as-factor",
    // trig: factor taken out: sin 2x is not 2 sin x
    r"tan 2x -> 2 tan x => factor-taken-out",
    // trig: of each term: sin of a sum
    r"sin(x + 30°) -> sin x + sin 30° => function-of-each-term",
    // trig: inverse as reciprocal: sin^-1 is the inverse
    r"sin⁻¹(x) -> 1/sin x => inverse-as-reciprocal",
    r"cos^-1(0.5) -> 1/cos 0.5 => inverse-as-reciprocal",
    // trig: Pythagorean sign: 1 = sin² + cos²
    r"1 - sin² x -> cos x => none of ours",
    // trig: unknown below: x is below
    r"sin 40° = 6/x -> x = 6 sin 40° => none of ours",
    // trig: one solution: there is another in the range
    r"cos x = 1/2 -> x = 60 ; assume 0<=x<360 ; deg => none of ours",
    r"2 sin x cos x = cos x -> 2 sin x = 1 ; assume 0<=x<360 ; deg => none of ours",
    // Pythagoras: added for a leg: subtract for a leg
    r"x² + 5² = 13² -> x² = 13² + 5² => none of ours",
    r"a² = 10² - 8² -> a² = 10² + 8² => none of ours",
    // Pythagoras: doubled: square, do not double
    r"5² + 12² -> 10 + 24 => exponent-as-factor",
    // area: half forgotten: half of base times height
    r"A = 1/2 × 6 × 4 -> A = 24 => none of ours",
    // circle: diameter for radius: halve the diameter
    r"2 × π × 3 -> 2 × π × 6 => none of ours",
    r"π × (8/2)² -> π × 8² => none of ours",
    // units: power of ten: wrong factor
    r"3.5 km -> 350 m ; quantities => wrong-power-of-ten",
    r"40 mm -> 0.4 m ; quantities => wrong-power-of-ten",
    // units: areas and volumes: square the factor
    r"3 m² -> 300 cm² ; quantities => wrong-power-of-ten",
    r"5000 cm² -> 50 m² ; quantities => wrong-power-of-ten",
    // units: time is not decimal: sixty, not a hundred
    r"2 h 20 min -> 2.2 h ; quantities => none of ours",
    r"150 min -> 1.5 h ; quantities => none of ours",
    // speed: multiplied: distance over time
    r"120 km / 2 h -> 240 km/h ; quantities => none of ours",
    r"s = d/t; d = 100; t = 5 -> s = 500; d = 100; t = 5 => none of ours",
    // rounding: cut off: look at the next digit
    r"x = 0.0567 -> x ≈ 0.05 => none of ours",
    // rounding: exact sign: it is only nearly so
    r"x = 1/3 -> x = 0.33 => none of ours",
    // standard form: wrong power
    r"0.00032 -> 3.2×10^4 => wrong-power-of-ten",
    r"45000 -> 4.5×10^3 => wrong-power-of-ten",
    // bases: wrong end or wrong place
    r"1101_2 -> 11 => none of ours",
    r"6 -> 011_2 => none of ours",
    // sequences: first term for difference: the difference multiplies n
    r"a = 5 + 2(n-1) -> a = 5n + 2 => none of ours",
    // geometric power: only r is raised
    r"3 × 2^4 -> 6^4 => left-to-right",
    // gradient: differences the same way round
    r"(7-3)/(1-5) -> 1 => subtracted-other-way-round",
    r"(9 - 5)/(2 - 4) -> 2 => subtracted-other-way-round",
    // rearranging: wrong inverse: undo the opposite operation
    r"y = x + c -> x = y + c ; for x => kept-sign-when-moving | divided-wrong-way | subtracted-instead-of-dividing",
    r"A = lw -> l = A - w ; for l => kept-sign-when-moving | divided-wrong-way | subtracted-instead-of-dividing",
    r"v = u + at -> u = v + at ; for u => kept-sign-when-moving | divided-wrong-way | subtracted-instead-of-dividing",
];
