//! Relations in several letters that come apart: sums of what is never negative, and chains.

/// One question a row.
pub const ROWS: &[&str] = &[
    r"x^2+y^2=0 -> x=0; y=0 => equivalent",
    r"x^2+y^2=0 -> x=0 and y=0 => equivalent",
    r"x^2+y^2=0 -> x = 0, y = 0 => equivalent",
    r"x^2+y^2=0 -> x=0 or y=0 => not equivalent; x = 0, y = 1: false against true",
    r"x^2+y^2=0 -> x = y => not equivalent; x = 1, y = 1: false against true",
    r"(x-1)^2 + (y+2)^2 = 0 -> x = 1, y = -2 => equivalent",
    r"(x-1)^2 + (y+2)^2 = 0 -> x = -1, y = 2 => not equivalent; lost x = 1, y = -2; gained x = -1, y = 2; x = 1, y = -2: true against false",
    r"(x-1)^2 = -(y+2)^2 -> x = 1, y = -2 => equivalent",
    r"(x-1)^2 + (y+2)^2 = 9 -> x^2 - 2x + y^2 + 4y = 4 => equivalent",
    r"|x-2| + |y| = 0 -> x = 2, y = 0 => equivalent",
    r"sqrt(x-y) + (x+y-4)^2 = 0 -> x = 2, y = 2 => equivalent",
    r"x^2 + y^2 + 1 = 0 -> no solution => equivalent",
    r"x^2 + y^2 + z^2 = 0 -> x = y = z = 0 => equivalent",
    r"x^2 + y^2 + z^2 = 0 -> x = 0, y = 0, z = 0 => equivalent",
    r"2x^2 + 3y^2 = 0 -> x = 0, y = 0 => equivalent",
    r"x^2 - y^2 = 0 -> x = 0, y = 0 => not equivalent; x = 1, y = 1: true against false",
    r"x^2 - y^2 = 0 -> x = y or x = -y => equivalent",
    r"x^2 + 1 = -y^2 -> no solution => equivalent",
    r"x^2 + y^2 = -4 -> no solution => equivalent",
    r"x^2 + y^2 = 4 -> no solution => not equivalent; x = 0, y = 2: true against false",
    r"(x-y)^2 + (y-3)^2 = 0 -> x = y and y = 3 => equivalent",
];
