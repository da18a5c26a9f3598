//! Absolute values, roots and logarithms whose signs hang together, and domains with single points.

/// One question a row.
pub const ROWS: &[&str] = &[
    r"((x-y)^3)^(1/3) -> x-y => equivalent",
    r"cbrt((x+2y)^3) -> x + 2y => equivalent",
    r"cbrt(x^3+3x^2y+3xy^2+y^3) -> x+y => equivalent",
    r"cbrt(x^3+y^3) -> x+y => not equivalent; x = 1, y = 1: ∛(2) against 2",
    r"root(5, (a-b)^5) -> a - b => equivalent",
    r"cbrt((a+b+1)^6) -> (a+b+1)^2 => equivalent",
    r"x^3 - 3x^2y + 3xy^2 - y^3 -> (x-y)^3 => equivalent",
    r"sqrt|xy| -> sqrt|x| sqrt|y| => equivalent",
    r"sqrt((x/y)(x-y)) -> sqrt|x/y| sqrt|x-y| => equivalent where (x^2 - xy)/y ≥ 0, abs(x)/abs(y) ≥ 0, y ≠ 0",
    r"sqrt(xy)/sqrt(xy) -> sqrt((xy)(xy))/(xy) => equivalent where xy > 0",
    r"((xy)^(2/3))^(3/2) -> |xy| => equivalent",
    r"((xy)^(2/3))^(3/2) -> xy => not equivalent; x = 1, y = -1: 1 against -1",
    r"sin((1/x)+(xy)) -> sin(1/x)cos(xy)+cos(1/x)sin(xy) => equivalent where x ≠ 0",
    r"e^(-ln(x/y)) -> y/x => equivalent where x/y > 0, y ≠ 0, x ≠ 0",
    r"e^(-ln((x/y)/(-2x-1))) -> (-2x-1)/(x/y) => equivalent where (-x)/(2xy + y) > 0, y ≠ 0, x ≠ -1/2, x ≠ 0",
    r"|x/y| -> ((x/y)^(1/2))^2 => equivalent where x/y ≥ 0, y ≠ 0",
    r"sqrt((3x-7)^2 (x-5)) + |x-5| -> sqrt((3x-7)^2(x-5)) + x - 5 => not equivalent; x = 7/3: 8/3 against -8/3",
    r"sqrt((x^2-2)^2 (x-5)) + |x-5| -> sqrt((x^2-2)^2(x-5)) + x - 5 => not equivalent; x = -√(2): 5 + √(2) against -5 - √(2)",
    r"sqrt((x^2-2)^2 (x-5)) + sqrt((x-5)^2) -> sqrt((x^2-2)^2(x-5)) + x - 5 => not equivalent; x = -√(2): 5 + √(2) against -5 - √(2)",
    r"sqrt((17x-23)^2 (x-5)) + ln((x-5)^2) -> sqrt((17x-23)^2 (x-5)) + 2 ln(x-5) => equivalent where x > 5",
    r"sqrt(x^2 y) + |y| -> sqrt(x^2 y) + y => not equivalent; x = 0, y = -1: 1 against -1",
    r"sqrt(3x-7) + sqrt((3x-7)(x-5)) + |x-5| -> sqrt(3x-7) + sqrt((3x-7)(x-5)) + x - 5 => not equivalent; x = 7/3: 8/3 against -8/3",
];
