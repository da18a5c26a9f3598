//! Whole solutions of problems that were asked for in words, as different students write them, right and wrong. What is
//! said of every line stands behind it; a solution ends with `answered` where its answer stands there.

use crate::solutions_table::Solutions;

#[rustfmt::skip]
pub const ALL: &[Solutions] = &[
    ("Share £60 in the ratio 2:3", &[
        &["2 + 3 = 5 => holds", "60 ÷ 5 = 12 => holds", "2 × 12 = 24 => holds", "3 × 12 = 36 => holds", "£24 : £36 => holds", "answered"],
        &["5 parts => kept", "one part = 60/5 = 12 => holds", "24 : 36 => holds", "answered"],
        &["2x + 3x = 60 => kept", "5x = 60 => kept", "x = 12 => holds", "24 : 36 => holds", "answered"],
        &["60 ÷ 2 = 30 => holds", "60 ÷ 3 = 20 => holds", "30 : 20 => breaks"],
        &["2 + 3 = 5 => holds", "60 ÷ 5 = 12 => holds", "36 : 24 => breaks"],
    ]),
    ("divide 120 in the ratio 3:5", &[
        &["3 + 5 = 8 => holds", "120 ÷ 8 = 15 => holds", "3 × 15 = 45 => holds", "5 × 15 = 75 => holds", "45 : 75 => holds", "answered"],
        &["120/8 = 15 => holds", "45:75 => holds", "answered"],
        &["3 + 5 = 8 => holds", "120 ÷ 8 = 15 => holds", "45 : 65 => breaks"],
    ]),
    ("simplify the ratio 15:25", &[
        &["15 ÷ 5 = 3 => holds", "25 ÷ 5 = 5 => holds", "3 : 5 => holds", "answered"],
        &["15 : 25 = 3 : 5 => holds", "answered"],
        &["5 : 3 => breaks"],
    ]),
    ("area of a triangle with base 6 cm and height 4 cm", &[
        &["A = 1/2 b h => holds", "A = 1/2 × 6 × 4 => holds", "A = 12 => holds", "The area is 12 cm². => holds", "answered"],
        &["6 × 4 = 24 => holds", "24 ÷ 2 = 12 => holds", "12 cm² => holds", "answered"],
        &["6cm × 4cm = 24cm² => holds", "half of 24 is 12 => holds", "12 cm^2 => holds", "answered"],
        &["A = bh/2 = 24/2 = 12 cm² => holds", "answered"],
        &["6 × 4 = 24 => holds", "24 cm² => breaks"],
        &["1/2 × 6 × 4 => holds", "12 cm => breaks"],
    ]),
    ("area of a rectangle 5 cm by 8 cm", &[
        &["A = l × w => holds", "A = 5 × 8 => holds", "A = 40 => holds", "40 cm² => holds", "answered"],
        &["5 × 8 = 40 => holds", "40 cm^2 => holds", "answered"],
        &["5 + 8 = 13 => holds", "2 × 13 = 26 => holds", "26 cm² => breaks"],
    ]),
    ("perimeter of a rectangle with length 12 cm and width 5 cm", &[
        &["12 + 5 = 17 => holds", "2 × 17 = 34 => holds", "34 cm => holds", "answered"],
        &["12 + 12 + 5 + 5 = 34 => holds", "P = 34 cm => holds", "answered"],
        &["P = 2(l + w) => holds", "P = 2(12 + 5) => holds", "P = 34 => holds", "34 cm => holds", "answered"],
        &["12 × 5 = 60 => holds", "60 cm => breaks"],
    ]),
    ("area of a circle with radius 3", &[
        &["A = π r^2 => holds", "A = π × 3^2 => holds", "A = 9π => holds", "answered"],
        &["3^2 = 9 => holds", "9π => holds", "answered"],
        &["2 × π × 3 = 6π => holds", "6π => breaks"],
    ]),
    ("circumference of a circle of diameter 12", &[
        &["C = π d => holds", "C = π × 12 => holds", "C = 12π => holds", "answered"],
        &["12π => holds", "answered"],
        &["144π => breaks"],
    ]),
    ("volume of a cuboid with length 5, width 4 and height 3", &[
        &["V = l w h => holds", "V = 5 × 4 × 3 => holds", "V = 60 => holds", "answered"],
        &["5 × 4 = 20 => holds", "20 × 3 = 60 => holds", "60 => holds", "answered"],
        &["5 + 4 + 3 = 12 => holds", "12 => breaks"],
    ]),
    ("volume of a cylinder radius 3 height 10", &[
        &["V = π r^2 h => holds", "V = π × 9 × 10 => holds", "V = 90π => holds", "answered"],
        &["π × 3^2 × 10 = 90π => holds", "90π => holds", "answered"],
        &["π × 3 × 10 = 30π => holds", "30π => breaks"],
    ]),
    ("hypotenuse of a right triangle with legs 5 and 12", &[
        &["5^2 + 12^2 = 25 + 144 = 169 => holds", "√169 = 13 => holds", "13 => holds", "answered"],
        &["c^2 = 5^2 + 12^2 => holds", "c^2 = 169 => holds", "c = 13 => holds", "answered"],
        &["25 + 144 = 169 => holds", "c = √169 => holds", "c = 13 => holds", "answered"],
        &["5 + 12 = 17 => holds", "17 => breaks"],
    ]),
    ("right angled triangle with hypotenuse 10 and one side 6, find the other side", &[
        &["10^2 - 6^2 = 100 - 36 = 64 => holds", "√64 = 8 => holds", "8 => holds", "answered"],
        &["100 - 36 = 64 => holds", "b = 8 => holds", "answered"],
        &["100 + 36 = 136 => holds", "√136 => breaks"],
    ]),
    ("15% of 60", &[
        &["10% = 6 => holds", "5% = 3 => holds", "6 + 3 = 9 => holds", "9 => holds", "answered"],
        &["0.15 × 60 = 9 => holds", "9 => holds", "answered"],
        &["15/100 × 60 = 9 => holds", "answered"],
        &["60 ÷ 100 = 0.6 => holds", "0.6 × 15 = 9 => holds", "It is 9. => holds", "answered"],
        &["60 ÷ 15 = 4 => holds", "4 => breaks"],
        &["15 × 60 = 900 => holds", "900 => breaks"],
    ]),
    ("increase 60 by 15%", &[
        &["10% = 6 => holds", "5% = 3 => holds", "15% = 9 => holds", "60 + 9 = 69 => holds", "69 => holds", "answered"],
        &["60 × 1.15 = 69 => holds", "69 => holds", "answered"],
        &["0.15 × 60 = 9 => holds", "60 + 9 = 69 => holds", "answered"],
        &["0.15 × 60 = 9 => holds", "9 => kept"],
    ]),
    ("30% off £50", &[
        &["30% of 50 = 15 => holds", "50 - 15 = 35 => holds", "£35 => holds", "answered"],
        &["0.7 × 50 = 35 => holds", "£35 => holds", "answered"],
        &["0.3 × 50 = 15 => holds", "£15 => breaks"],
    ]),
    ("12 is 30% of what number", &[
        &["12 ÷ 0.3 = 40 => holds", "40 => holds", "answered"],
        &["10% = 4 => holds", "100% = 40 => holds", "40 => holds", "answered"],
        &["0.3n = 12 => holds", "n = 40 => holds", "answered"],
        &["0.3 × 12 = 3.6 => holds", "3.6 => breaks"],
    ]),
    ("what is 12 as a percentage of 48", &[
        &["12/48 = 1/4 => holds", "1/4 = 25% => holds", "25% => holds", "answered"],
        &["12 ÷ 48 = 0.25 => holds", "0.25 × 100 = 25 => holds", "25% => holds", "answered"],
        &["48 ÷ 12 = 4 => holds", "4% => breaks"],
    ]),
    ("percentage decrease from 50 to 40", &[
        &["50 - 40 = 10 => holds", "10/50 = 0.2 => holds", "20% => holds", "answered"],
        &["10 ÷ 50 × 100 = 20 => holds", "20% => holds", "answered"],
        &["10/40 = 0.25 => holds", "25% => breaks"],
    ]),
    ("simple interest on £500 at 3% for 4 years", &[
        &["3% of 500 = 15 => holds", "4 × 15 = 60 => holds", "£60 => holds", "answered"],
        &["500 × 0.03 = 15 => holds", "15 × 4 = 60 => holds", "£60 => holds", "answered"],
        &["500 × 0.03 = 15 => holds", "£15 => kept"],
    ]),
    ("£1000 at 5% compound interest for 2 years", &[
        &["1000 × 1.05 = 1050 => holds", "1050 × 1.05 = 1102.5 => holds", "£1102.50 => holds", "answered"],
        &["1000 × 1.05^2 = 1102.5 => holds", "£1102.50 => holds", "answered"],
        &["1000 × 0.05 × 2 = 100 => holds", "£1100 => breaks"],
    ]),
    ("after a 20% discount the price is £48. Find the original price", &[
        &["48 ÷ 0.8 = 60 => holds", "£60 => holds", "answered"],
        &["80% = 48 => holds", "10% = 6 => holds", "100% = 60 => holds", "£60 => holds", "answered"],
        &["48 × 1.2 = 57.6 => holds", "£57.60 => breaks"],
    ]),
    ("0.35 as a percentage", &[
        &["0.35 × 100 = 35 => holds", "35% => holds", "answered"],
        &["35/100 => holds", "35% => holds", "answered"],
        &["3.5% => breaks"],
    ]),
    ("change 0.45 to a fraction", &[
        &["45/100 => holds", "45/100 = 9/20 => holds", "9/20 => holds", "answered"],
        &["0.45 = 45/100 = 9/20 => holds", "answered"],
        &["4/5 => breaks"],
    ]),
    ("convert 7/8 to a decimal", &[
        &["7 ÷ 8 = 0.875 => holds", "0.875 => holds", "answered"],
        &["0.78 => breaks"],
    ]),
    ("order 1/2, 2/3, 3/5", &[
        &["1/2 = 15/30 => holds", "2/3 = 20/30 => holds", "3/5 = 18/30 => holds", "1/2, 3/5, 2/3 => holds", "answered"],
        &["0.5, 0.667, 0.6 => holds", "1/2, 3/5, 2/3 => holds", "answered"],
        &["1/2, 2/3, 3/5 => holds"],
    ]),
    ("convert 17/5 to a mixed number", &[
        &["17 = 3 × 5 + 2 => holds", "3 2/5 => holds", "answered"],
        &["15/5 + 2/5 => holds", "3 2/5 => holds", "answered"],
        &["2 3/5 => breaks"],
    ]),
    ("2/5 of 35", &[
        &["35 ÷ 5 = 7 => holds", "7 × 2 = 14 => holds", "14 => holds", "answered"],
        &["2 × 35 = 70 => holds", "70 ÷ 5 = 14 => holds", "answered"],
        &["35 ÷ 2 = 17.5 => holds", "17.5 => breaks"],
    ]),
    ("find 2/3 of £45", &[
        &["45 ÷ 3 = 15 => holds", "15 × 2 = 30 => holds", "£30 => holds", "answered"],
        &["£45 ÷ 3 = £15 => holds", "£15 × 2 = £30 => holds", "answered"],
        &["45 ÷ 2 = 22.5 => holds", "£22.50 => breaks"],
    ]),
    ("round 3.456 to 2 dp", &[
        &["3.46 => holds", "answered"],
        &["3.456 ≈ 3.46 => holds", "3.46 => holds", "answered"],
        &["3.45 => breaks"],
    ]),
    ("round 45678 to 2 significant figures", &[
        &["46000 => holds", "answered"],
        &["45678 ≈ 46000 => holds", "answered"],
        &["45000 => breaks"],
    ]),
    ("estimate 19.7 × 5.2", &[
        &["20 × 5 = 100 => holds", "100 => holds", "answered"],
        &["20 × 5 => holds", "100 => holds", "answered"],
        &["19.7 × 5.2 = 102.44 => holds", "102.44 => breaks"],
    ]),
    ("write 0.00032 in standard form", &[
        &["3.2 × 10^-4 => holds", "answered"],
        &["3.2 × 10^4 => breaks"],
        &["32 × 10^-5 => holds"],
    ]),
    ("convert 25 to base 2", &[
        &["25 = 16 + 8 + 1 => holds", "11001_2 => holds", "answered"],
        &["25 = 12 × 2 + 1 => holds", "12 = 6 × 2 + 0 => holds", "6 = 3 × 2 + 0 => holds", "3 = 1 × 2 + 1 => holds", "11001_2 => holds", "answered"],
        &["10011_2 => breaks"],
    ]),
    ("what is 1101_2 in decimal", &[
        &["8 + 4 + 1 = 13 => holds", "13 => holds", "answered"],
        &["8 + 4 + 0 + 1 => holds", "13 => holds", "answered"],
        &["11 => breaks"],
    ]),
    ("highest common factor of 18 and 24", &[
        &["18 = 2 × 3 × 3 => holds", "24 = 2 × 2 × 2 × 3 => holds", "2 × 3 = 6 => holds", "6 => holds", "answered"],
        &["hcf(18, 24) = 6 => holds", "6 => holds", "answered"],
        &["72 => breaks"],
    ]),
    ("lcm of 6 and 8", &[
        &["6 = 2 × 3 => holds", "8 = 2 × 2 × 2 => holds", "2 × 2 × 2 × 3 = 24 => holds", "24 => holds", "answered"],
        &["24 => holds", "answered"],
        &["48 => breaks"],
    ]),
    ("write 60 as a product of prime factors", &[
        &["60 = 2 × 30 => holds", "30 = 2 × 15 => holds", "15 = 3 × 5 => holds", "2^2 × 3 × 5 => holds", "answered"],
        &["2 × 2 × 3 × 5 => holds", "answered"],
        &["4 × 15 => holds"],
    ]),
    ("mean of 3, 5, 8, 12", &[
        &["3 + 5 + 8 + 12 = 28 => holds", "28 ÷ 4 = 7 => holds", "7 => holds", "answered"],
        &["28/4 = 7 => holds", "answered"],
        &["The sum is 28. => holds", "There are 4 numbers. => kept", "The mean is 7. => holds", "answered"],
        &["3 + 5 + 8 + 12 = 28 => holds", "28 => kept"],
        &["28 ÷ 3 => breaks", "9.33 => breaks"],
    ]),
    ("median of 3, 9, 4, 1, 7", &[
        &["1, 3, 4, 7, 9 => kept", "4 => holds", "answered"],
        &["5 => breaks"],
    ]),
    ("range of 4, 9, 12, 3", &[
        &["12 - 3 = 9 => holds", "9 => holds", "answered"],
        &["3 - 12 = -9 => holds", "-9 => breaks"],
    ]),
    ("probability of rolling a six", &[
        &["1/6 => holds", "answered"],
        &["There are 6 faces. => kept", "one of them is a six => kept", "1/6 => holds", "answered"],
        &["6 => kept"],
    ]),
    ("a bag has 3 red and 5 blue balls. What is the probability of picking red?", &[
        &["3 + 5 = 8 => holds", "3/8 => holds", "answered"],
        &["3 out of 8 => holds", "3/8 => holds", "answered"],
        &["3/5 => breaks"],
    ]),
    ("probability of a sum of 7 with two dice", &[
        &["6/36 = 1/6 => holds", "1/6 => holds", "answered"],
        &["6 × 6 = 36 => holds", "6 of them => kept", "6/36 => holds", "1/6 => holds", "answered"],
        &["7/36 => breaks"],
    ]),
    ("10 choose 3", &[
        &["10 × 9 × 8 = 720 => holds", "3 × 2 × 1 = 6 => holds", "720 ÷ 6 = 120 => holds", "120 => holds", "answered"],
        &["(10 × 9 × 8)/(3 × 2 × 1) = 120 => holds", "answered"],
        &["720 => kept"],
    ]),
    ("how many ways can 4 books be arranged", &[
        &["4! = 24 => holds", "24 => holds", "answered"],
        &["4 × 3 × 2 × 1 = 24 => holds", "answered"],
        &["4 × 4 = 16 => holds", "16 => breaks"],
    ]),
    ("nth term of 5, 8, 11, 14", &[
        &["8 - 5 = 3 => holds", "3n + 2 => holds", "answered"],
        &["5 + 3(n - 1) => holds", "3n + 2 => holds", "answered"],
        &["3n + 5 => breaks"],
        &["n + 3 => breaks"],
    ]),
    ("100th term of 3n + 2", &[
        &["3 × 100 + 2 = 302 => holds", "302 => holds", "answered"],
        &["300 + 2 => holds", "302 => holds", "answered"],
        &["3 × 102 = 306 => holds", "306 => breaks"],
    ]),
    ("sum of the first 10 terms of 2, 5, 8", &[
        &["2 + 9 × 3 = 29 => holds", "(2 + 29) × 10 ÷ 2 = 155 => holds", "155 => holds", "answered"],
        &["5 × 31 = 155 => holds", "155 => holds", "answered"],
        &["2 + 29 = 31 => holds", "31 => kept"],
    ]),
    ("common difference of 4, 7, 10", &[
        &["7 - 4 = 3 => holds", "3 => holds", "answered"],
        &["4 - 7 = -3 => holds", "-3 => breaks"],
    ]),
    ("gradient of the line through (1, 2) and (4, 11)", &[
        &["11 - 2 = 9 => holds", "4 - 1 = 3 => holds", "9 ÷ 3 = 3 => holds", "3 => holds", "answered"],
        &["(11 - 2)/(4 - 1) = 9/3 = 3 => holds", "m = 3 => holds", "answered"],
        &["3/9 = 1/3 => holds", "1/3 => breaks"],
    ]),
    ("midpoint of (2, 4) and (6, 10)", &[
        &["(2 + 6)/2 = 4 => holds", "(4 + 10)/2 = 7 => holds", "(4, 7) => holds", "answered"],
        &["(8, 14) => kept"],
    ]),
    ("distance between (1,2) and (4,6)", &[
        &["4 - 1 = 3 => holds", "6 - 2 = 4 => holds", "3^2 + 4^2 = 25 => holds", "√25 = 5 => holds", "5 => holds", "answered"],
        &["√(3^2 + 4^2) = 5 => holds", "answered"],
        &["3 + 4 = 7 => holds", "7 => breaks"],
    ]),
    ("equation of the line with gradient 3 through (1, 2)", &[
        &["2 = 3 × 1 + c => kept", "c = -1 => holds", "y = 3x - 1 => holds", "answered"],
        &["y = 3x + 2 => kept"],
    ]),
    ("sum of the interior angles of a pentagon", &[
        &["5 - 2 = 3 => holds", "3 × 180 = 540 => holds", "540° => holds", "answered"],
        &["(5 - 2) × 180 = 540 => holds", "answered"],
        &["5 × 180 = 900 => holds", "900° => breaks"],
    ]),
    ("interior angle of a regular hexagon", &[
        &["4 × 180 = 720 => holds", "720 ÷ 6 = 120 => holds", "120° => holds", "answered"],
        &["360 ÷ 6 = 60 => holds", "180 - 60 = 120 => holds", "120° => holds", "answered"],
        &["360 ÷ 6 = 60 => holds", "60° => breaks"],
    ]),
    ("third angle of a triangle with angles 50 and 60", &[
        &["50 + 60 = 110 => holds", "180 - 110 = 70 => holds", "70° => holds", "answered"],
        &["180 - 50 - 60 = 70 => holds", "answered"],
        &["50 + 60 + x = 180 => holds", "x = 70 => holds", "answered"],
        &["50 + 60 = 110 => holds", "110° => breaks"],
    ]),
    ("convert 180 degrees to radians", &[
        &["180 × π/180 = π => holds", "π => holds", "answered"],
        &["2π => breaks"],
    ]),
    ("find the value of 3a + 2b when a = 4 and b = -1", &[
        &["3 × 4 + 2 × (-1) => holds", "12 - 2 => holds", "10 => holds", "answered"],
        &["3 × 4 = 12 => holds", "2 × -1 = -2 => holds", "12 - 2 = 10 => holds", "answered"],
        &["12 + 2 = 14 => holds", "14 => breaks"],
    ]),
    ("f(x) = x^2 - 1, find f(3)", &[
        &["3^2 - 1 = 8 => holds", "8 => holds", "answered"],
        &["9 - 1 => holds", "8 => holds", "answered"],
        &["3 × 2 - 1 = 5 => holds", "5 => breaks"],
    ]),
    ("differentiate 3x^2 + 2x", &[
        &["6x + 2 => holds", "answered"],
        &["3 × 2x + 2 => holds", "6x + 2 => holds", "answered"],
        &["6x^2 + 2 => breaks"],
        &["3x + 2 => breaks"],
    ]),
    ("make x the subject of y = 3x + 2", &[
        &["y - 2 = 3x => holds", "x = (y - 2)/3 => holds", "answered"],
        &["3x = y - 2 => holds", "(y - 2)/3 = x => holds", "x = (y - 2)/3 => holds", "answered"],
        &["x = y/3 - 2 => breaks"],
        &["x = (y + 2)/3 => breaks"],
    ]),
    ("rearrange v = u + at for t", &[
        &["v - u = at => holds", "t = (v - u)/a => holds", "answered"],
        &["at = v - u => holds", "(v - u)/a = t => holds", "t = (v - u)/a => holds", "answered"],
        &["t = v - u/a => breaks"],
    ]),
    ("Solve 5x - 3 = 2x + 9", &[
        &["5x - 2x = 9 + 3 => holds", "3x = 12 => holds", "x = 4 => holds", "answered"],
        &["3x - 3 = 9 => holds", "3x = 12 => holds", "x = 4 => holds", "answered"],
        &["7x = 12 => breaks", "x = 12/7 => holds"],
    ]),
    ("Solve the simultaneous equations x + y = 10 and x - y = 4", &[
        &["2x = 14 => holds", "x = 7 => holds", "y = 3 => holds", "x = 7, y = 3 => holds", "answered"],
        &["x = 7, y = 4 => breaks"],
    ]),
    ("solve x^2 = 49", &[
        &["x = 7 or x = -7 => holds", "answered"],
        &["x = ±7 => holds", "answered"],
        &["x = 7 => drops"],
    ]),
    ("solve 3 - 2x ≤ 7", &[
        &["-2x ≤ 4 => holds", "x ≥ -2 => holds", "answered"],
        &["-2x ≤ 4 => holds", "x ≤ -2 => breaks"],
    ]),
    ("expand (x + 2)(x + 3)", &[
        &["x^2 + 3x + 2x + 6 => holds", "x^2 + 5x + 6 => holds", "answered"],
        &["x^2 + 6 => breaks"],
    ]),
    ("factorise x^2 - 16", &[
        &["(x - 4)(x + 4) => holds", "answered"],
        &["(x + 4)(x - 4) => holds", "answered"],
        &["(x - 4)^2 => breaks"],
        &["(x - 8)(x + 2) => breaks"],
    ]),
    ("complete the square x^2 + 6x + 2", &[
        &["(x + 3)^2 - 9 + 2 => holds", "(x + 3)^2 - 7 => holds", "answered"],
        &["(x + 3)^2 + 2 => breaks"],
        &["(x + 6)^2 - 34 => breaks"],
    ]),
    ("simplify √50", &[
        &["√25 × √2 => holds", "5√2 => holds", "answered"],
        &["√(25 × 2) => holds", "5√2 => holds", "answered"],
        &["25√2 => breaks"],
    ]),
    ("rationalise the denominator of 5/√2", &[
        &["(5√2)/(√2 × √2) => holds", "5√2/2 => holds", "answered"],
        &["5/2 => breaks"],
    ]),
    ("5 pens cost £3. How much do 8 pens cost?", &[
        &["3 ÷ 5 = 0.6 => holds", "0.6 × 8 = 4.8 => holds", "£4.80 => holds", "answered"],
        &["£3 ÷ 5 = £0.60 => holds", "8 × £0.60 = £4.80 => holds", "answered"],
        &["3 + 3 = 6 => holds", "£6 => breaks"],
    ]),
    ("4 workers take 6 days. How long would 3 workers take?", &[
        &["4 × 6 = 24 => holds", "24 ÷ 3 = 8 => holds", "8 days => holds", "answered"],
        &["24 days for one => kept", "24 ÷ 3 = 8 days => holds", "answered"],
        &["6 ÷ 4 = 1.5 => holds", "1.5 × 3 = 4.5 => holds", "4.5 days => kept"],
    ]),
    ("y is directly proportional to x, y = 12 when x = 4, find y when x = 7", &[
        &["12 ÷ 4 = 3 => holds", "k = 3 => kept", "y = 3 × 7 => holds", "y = 21 => holds", "answered"],
        &["y = kx => holds", "12 = 4k => kept", "k = 3 => kept", "3 × 7 = 21 => holds", "21 => holds", "answered"],
        &["12 + 3 = 15 => holds", "15 => breaks"],
    ]),
    ("a car travels 240 km in 3 hours. What is its average speed?", &[
        &["240 ÷ 3 = 80 => holds", "80 km/h => holds", "answered"],
        &["speed = distance ÷ time => kept", "240/3 = 80 => holds", "80 km/h => holds", "answered"],
        &["240 × 3 = 720 => holds", "720 km/h => kept"],
    ]),
    ("how far do you go in 3 hours at 50 km/h", &[
        &["3 × 50 = 150 => holds", "150 km => holds", "answered"],
        &["50 km/h × 3 h = 150 km => holds", "answered"],
        &["50 ÷ 3 => breaks", "16.7 km => kept"],
    ]),
    ("12 pens at 45p each", &[
        &["12 × 45 = 540 => holds", "540p => holds", "£5.40 => holds", "answered"],
        &["12 × 0.45 = 5.40 => holds", "£5.40 => holds", "answered"],
        &["45 ÷ 12 => breaks", "£3.75 => breaks"],
    ]),
    ("change from £10 for £6.35", &[
        &["10 - 6.35 = 3.65 => holds", "£3.65 => holds", "answered"],
        &["£10.00 - £6.35 = £3.65 => holds", "answered"],
        &["£4.65 => breaks"],
    ]),
    ("I think of a number, double it and add 3. The answer is 11. What is the number?", &[
        &["11 - 3 = 8 => holds", "8 ÷ 2 = 4 => holds", "4 => holds", "answered"],
        &["2n + 3 = 11 => holds", "2n = 8 => holds", "n = 4 => holds", "answered"],
        &["Let n be the number => kept", "2n + 3 = 11 => holds", "n = 4 => holds", "The number is 4. => holds", "answered"],
        &["11 ÷ 2 = 5.5 => holds", "5.5 - 3 = 2.5 => holds", "2.5 => breaks"],
    ]),
    ("The sum of three consecutive numbers is 33. Find them.", &[
        &["33 ÷ 3 = 11 => holds", "10, 11, 12 => holds", "answered"],
        &["n + (n + 1) + (n + 2) = 33 => kept", "3n + 3 = 33 => holds", "n = 10 => holds", "10, 11, 12 => holds", "answered"],
        &["11, 12, 13 => holds"],
    ]),
    ("£200 plus 20% VAT", &[
        &["20% of 200 = 40 => holds", "200 + 40 = 240 => holds", "£240 => holds", "answered"],
        &["200 × 1.2 = 240 => holds", "£240 => holds", "answered"],
        &["200 × 0.2 = 40 => holds", "£40 => breaks"],
    ]),
    ("80 g with half life 3 days after 9 days", &[
        &["9 ÷ 3 = 3 => holds", "10 g => holds", "answered"],
        &["80 ÷ 2 = 40 => holds", "40 ÷ 2 = 20 => holds", "20 ÷ 2 = 10 => holds", "10 g => holds", "answered"],
        &["80 ÷ 9 => breaks", "8.9 g => breaks"],
    ]),
    ("convert 90 km/h to m/s", &[
        &["90 ÷ 3.6 = 25 => holds", "25 m/s => holds", "answered"],
        &["90000 m in 3600 s => holds", "90000 ÷ 3600 = 25 => holds", "25 m/s => holds", "answered"],
        &["90 × 3.6 = 324 => holds", "324 m/s => breaks"],
    ]),
    ("convert 2.5 m to cm", &[
        &["2.5 × 100 = 250 => holds", "250 cm => holds", "answered"],
        &["25 cm => kept"],
    ]),
    ("how long from 9:40 to 11:15", &[
        &["20 min to 10:00 => kept", "1 h 15 min to 11:15 => kept", "1 h 35 min => holds", "answered"],
        &["2 h 25 min => kept"],
    ]),
    ("cos 60 degrees", &[
        &["1/2 => holds", "answered"],
        &["0.5 => holds", "answered"],
        &["√3/2 => breaks"],
    ]),
    ("cosine rule a = 5, b = 7, C = 60, find c", &[
        &["c^2 = 25 + 49 - 2 × 5 × 7 × 0.5 => holds", "c^2 = 39 => holds", "c = √39 => holds", "answered"],
        &["25 + 49 - 35 = 39 => holds", "√39 => holds", "answered"],
        &["25 + 49 = 74 => holds", "√74 => breaks"],
    ]),
    ("square root of 144", &[
        &["12 × 12 = 144 => holds", "12 => holds", "answered"],
        &["72 => breaks"],
    ]),
    ("17 divided by 5", &[
        &["3 × 5 = 15 => holds", "17 - 15 = 2 => holds", "3 r 2 => holds", "answered"],
        &["17/5 => holds", "answered"],
        &["3.4 => holds", "answered"],
        &["3 r 3 => breaks"],
    ]),
    ("subtract 45 from 112", &[
        &["112 - 45 = 67 => holds", "67 => holds", "answered"],
        &["112 - 40 = 72 => holds", "72 - 5 = 67 => holds", "answered"],
        &["45 - 112 = -67 => holds", "-67 => breaks"],
    ]),
    ("area of a trapezium with parallel sides 5 and 7 and height 4", &[
        &["A = 1/2 (a + b) h => holds", "A = 1/2 × 12 × 4 => holds", "A = 24 => holds", "answered"],
        &["5 + 7 = 12 => holds", "12 × 4 = 48 => holds", "48 ÷ 2 = 24 => holds", "24 => holds", "answered"],
        &["5 × 7 × 4 = 140 => holds", "140 => breaks"],
    ]),
    ("volume of a cube of side 4", &[
        &["V = s^3 => holds", "V = 4^3 => holds", "V = 64 => holds", "answered"],
        &["4 × 4 × 4 = 64 => holds", "64 => holds", "answered"],
        &["6 × 4 × 4 = 96 => holds", "96 => breaks"],
    ]),
    ("surface area of a cube with edge 3", &[
        &["S = 6s^2 => holds", "S = 6 × 9 => holds", "S = 54 => holds", "answered"],
        &["3 × 3 = 9 => holds", "9 × 6 = 54 => holds", "54 => holds", "answered"],
        &["3 × 3 × 3 = 27 => holds", "27 => breaks"],
    ]),
    ("radius of a circle with circumference 10π", &[
        &["r = C/(2π) => holds", "r = 10π/(2π) => holds", "r = 5 => holds", "answered"],
        &["10 => breaks"],
    ]),
    ("side of a square with area 81", &[
        &["s^2 = 81 => holds", "s = 9 => holds", "answered"],
        &["√81 = 9 => holds", "9 => holds", "answered"],
        &["81 ÷ 4 = 20.25 => holds", "20.25 => breaks"],
    ]),
    ("find the height of a triangle with area 24 and base 8", &[
        &["24 × 2 = 48 => holds", "48 ÷ 8 = 6 => holds", "6 => holds", "answered"],
        &["h = 2A/b => holds", "h = 48/8 => holds", "h = 6 => holds", "answered"],
        &["24 ÷ 8 = 3 => holds", "3 => breaks"],
    ]),
    ("area of a square with side 7 cm", &[
        &["7 × 7 = 49 => holds", "49 cm² => holds", "answered"],
        &["A = s^2 => holds", "A = 49 => holds", "49 cm^2 => holds", "answered"],
        &["4 × 7 = 28 => holds", "28 cm² => breaks"],
    ]),
    ("what percent of 40 is 10", &[
        &["10/40 = 1/4 => holds", "25% => holds", "answered"],
        &["10 ÷ 40 = 0.25 => holds", "25% => holds", "answered"],
        &["40 ÷ 10 = 4 => holds", "4% => breaks"],
    ]),
    ("decrease £120 by 35%", &[
        &["35% of 120 = 42 => holds", "120 - 42 = 78 => holds", "£78 => holds", "answered"],
        &["0.65 × 120 = 78 => holds", "£78 => holds", "answered"],
        &["0.35 × 120 = 42 => holds", "£42 => breaks"],
    ]),
    ("15 out of 60 as a percentage", &[
        &["15/60 = 1/4 => holds", "1/4 = 25% => holds", "25% => holds", "answered"],
        &["15 ÷ 60 × 100 = 25 => holds", "25% => holds", "answered"],
        &["60 ÷ 15 = 4 => holds", "4% => breaks"],
    ]),
    ("write 45% as a fraction", &[
        &["45/100 => holds", "9/20 => holds", "answered"],
        &["45/100 = 9/20 => holds", "answered"],
        &["45 => kept"],
    ]),
    ("compound interest on £2000 at 3% for 2 years", &[
        &["2000 × 1.03^2 = 2121.8 => holds", "2121.8 - 2000 = 121.8 => holds", "£121.80 => holds", "answered"],
        &["2000 × 0.06 = 120 => holds", "£120 => breaks"],
    ]),
    ("8 apples cost £2.40. find the cost of 5 apples", &[
        &["2.40 ÷ 8 = 0.30 => holds", "0.30 × 5 = 1.50 => holds", "£1.50 => holds", "answered"],
        &["2.40 ÷ 5 = 0.48 => holds", "£0.48 => breaks"],
    ]),
    ("map scale 1:50000, how far is 4 cm in real life", &[
        &["4 × 50000 = 200000 => holds", "200000 cm = 2000 m => holds", "2 km => holds", "answered"],
        &["4 cm × 50000 = 200000 cm = 2 km => holds", "answered"],
        &["4 ÷ 50000 => breaks"],
    ]),
    ("round 149 to the nearest 10", &[
        &["150 => holds", "answered"],
        &["149 ≈ 150 => holds", "answered"],
        &["140 => breaks"],
    ]),
    ("write 3.2 × 10^4 as an ordinary number", &[
        &["3.2 × 10000 = 32000 => holds", "32000 => holds", "answered"],
        &["3200 => breaks"],
    ]),
    ("255 in hex", &[
        &["255 = 15 × 16 + 15 => holds", "FF_16 => holds", "answered"],
        &["1515_16 => breaks"],
    ]),
    ("factors of 18", &[
        &["1 × 18 = 18 => holds", "2 × 9 = 18 => holds", "3 × 6 = 18 => holds", "1, 2, 3, 6, 9, 18 => holds", "answered"],
        &["1, 2, 3, 6, 9 => holds"],
    ]),
    ("is 37 prime?", &[
        &["yes => holds", "answered"],
        &["no => kept"],
    ]),
    ("next prime after 20", &[
        &["21 = 3 × 7 => holds", "22 = 2 × 11 => holds", "23 => holds", "answered"],
        &["21 => kept"],
    ]),
    ("first five multiples of 7", &[
        &["7, 14, 21, 28, 35 => holds", "answered"],
        &["7, 14, 21, 28 => holds"],
    ]),
    ("each interior angle of a regular decagon", &[
        &["360 ÷ 10 = 36 => holds", "180 - 36 = 144 => holds", "144° => holds", "answered"],
        &["8 × 180 = 1440 => holds", "1440 ÷ 10 = 144 => holds", "answered"],
        &["36° => breaks"],
    ]),
    ("exterior angle of a regular octagon", &[
        &["360 ÷ 8 = 45 => holds", "45° => holds", "answered"],
        &["135° => breaks"],
    ]),
    ("complement of 35 degrees", &[
        &["90 - 35 = 55 => holds", "55° => holds", "answered"],
        &["145° => breaks"],
    ]),
    ("missing angle in a quadrilateral 90, 80, 100", &[
        &["90 + 80 + 100 = 270 => holds", "360 - 270 = 90 => holds", "90° => holds", "answered"],
        &["180 - 80 = 100 => holds", "100° => breaks"],
    ]),
    ("isosceles triangle with apex angle 40, find the base angles", &[
        &["180 - 40 = 140 => holds", "140 ÷ 2 = 70 => holds", "70° => holds", "answered"],
        &["180 - 40 = 140 => holds", "140° => breaks"],
    ]),
    ("sum of first 6 terms of 3, 6, 12", &[
        &["3 + 6 + 12 + 24 + 48 + 96 = 189 => holds", "189 => holds", "answered"],
        &["96 => breaks"],
    ]),
    ("10th term of the arithmetic sequence 3, 8, 13", &[
        &["3 + 9 × 5 = 48 => holds", "48 => holds", "answered"],
        &["3 + 10 × 5 = 53 => holds", "53 => breaks"],
    ]),
    ("next two terms of 3, 6, 12, 24", &[
        &["24 × 2 = 48 => holds", "48 × 2 = 96 => holds", "48, 96 => holds", "answered"],
        &["27, 30 => holds"],
    ]),
    ("mode of 2, 3, 3, 5", &[
        &["3 => holds", "answered"],
        &["5 => kept"],
    ]),
    ("interquartile range of 1, 3, 5, 7, 9, 11, 13, 15", &[
        &["(3 + 5)/2 = 4 => holds", "(11 + 13)/2 = 12 => holds", "12 - 4 = 8 => holds", "8 => holds", "answered"],
        &["15 - 1 = 14 => holds", "14 => breaks"],
    ]),
    ("probability of two heads with two coins", &[
        &["HH is one of 4 => kept", "1/4 => holds", "answered"],
        &["1/2 × 1/2 = 1/4 => holds", "answered"],
        &["1/2 => breaks"],
    ]),
    ("value of 4x - 3y when x = 2, y = 1", &[
        &["4 × 2 - 3 × 1 => holds", "8 - 3 => holds", "5 => holds", "answered"],
        &["8 + 3 = 11 => holds", "11 => breaks"],
    ]),
    ("vertex of y = x^2 - 4x + 1", &[
        &["4 ÷ 2 = 2 => holds", "4 - 8 + 1 = -3 => holds", "(2, -3) => holds", "answered"],
        &["(-2, -3) => kept"],
    ]),
    ("where does y = 2x - 6 cross the x-axis", &[
        &["2x - 6 = 0 => holds", "2x = 6 => holds", "x = 3 => holds", "answered"],
        &["x = -6 => breaks"],
    ]),
    ("density of 200 g with volume 50 cm3", &[
        &["200 ÷ 50 = 4 => holds", "4 g/cm³ => holds", "answered"],
        &["200 × 50 = 10000 => holds", "10000 g/cm³ => breaks"],
    ]),
    ("two numbers add up to 20 and differ by 4. Find them.", &[
        &["x + y = 20 => kept", "x - y = 4 => kept", "2x = 24 => kept", "x = 12 => holds", "y = 8 => kept", "12 and 8 => holds", "answered"],
        &["14 and 6 => kept"],
    ]),
    ("£9.50 an hour for 8 hours", &[
        &["9.5 × 8 = 76 => holds", "£76 => holds", "answered"],
        &["9.5 + 8 = 17.5 => holds", "£17.50 => breaks"],
    ]),
];
