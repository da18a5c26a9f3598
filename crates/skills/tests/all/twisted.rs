//! Stories with a turn at their end: what cannot be worked is refused, and is never answered as the story without its turn.

use skills::typed::work;

#[test]
fn a_story_that_is_not_understood_is_refused() {
    let mut answered = Vec::new();
    for problem in [
        "A coat costs £80. It is reduced by 15%. How much is saved?",
        "A coat costs £80. It is reduced by 15%. By how much is it reduced?",
        "A coat costs £80. After a reduction of 20% how much less does it cost?",
        "A jar holds 450 g of honey. 20% is eaten. How much is left?",
        "A jar holds 450 g of honey. 20% is eaten. How much is eaten?",
        "£200 is invested at 5% simple interest for 3 years. How much interest is earned each year?",
        "What number is 15% less than 80?",
        "What percentage of 80 is left when 20 are taken?",
        "Share £60 in the ratio 2:3. How much more does the second get?",
        "Share £60 in the ratio 2:3. What is the larger share?",
        "Share £60 in the ratio 2:3. What is the difference between the shares?",
        "The ratio of boys to girls is 2:3. There are 12 boys. How many children are there?",
        "The ratio of boys to girls is 2:3. There are 12 boys. How many more girls are there?",
        "A car travels 150 km in 2 h 30 min. How much further does it go in another hour?",
        "A car travels 150 km in 2 hours. How long does it take to come back at half the speed?",
        "A rectangle is 6 cm by 4 cm. How much larger is its area than its perimeter?",
        "A triangle has angles of 40° and 60°. How much larger is the third than the first?",
        "5 pens cost £4. How much change is there from £10?",
        "5 pens cost £4. How much do 8 pens cost more than 5?",
        "4 workers take 6 days. How many days sooner are 3 workers done?",
        "mean of 3, 5, 8, 12 without the largest",
        "median of 3, 5, 8, 12 and 20 after 20 is removed",
        "What number must be added to 3, 5, 8 so that the mean is 6?",
        "The mean of 4 numbers is 6. A fifth number, 11, is added. What is the new mean?",
        "A die is rolled twice. What is the probability of two sixes?",
        "A bag has 3 red and 5 blue balls. One red is taken out. What is the probability of red?",
        "What is 20% of 60 more than 10?",
        "A price rose by 20% to £60. How much was the rise?",
        "A shirt costs £24 after 20% off. How much do you save on the original price?",
        "£500 at 4% compound interest for 3 years. How much interest is there in the third year?",
        "A bag has 4 red and 6 blue beads. A red bead is lost. What is the probability of red?",
        "3 kg of flour cost £6. 5 kg were bought and 2 kg of them were used. What did those cost?",
        "A train goes 120 km in 1 h 30 min. How long does it take for 40 km more?",
        "An angle of a triangle is 40° more than another of 50°. What is the third angle?",
        "A right triangle has legs 3 and 4. What is its perimeter?",
        "Red and blue are mixed 2:3. There are 12 litres of purple. How many litres more of blue are there?",
        "round 3.456 to 2 decimal places and double it",
        "HCF of 12 and 18 times their LCM",
        "the square of the sum of 3 and 4",
        "the sum of the squares of 3 and 4",
        "the reciprocal of 3/4 squared",
        "What is the next term but one of 2, 5, 8, 11?",
        "speed of a train that goes 90 km in 45 minutes and stops for 15 minutes",
        "A price rises from £40 to £50. By what percentage did it rise?",
        "A price falls by 20% and then rises by 20%. What is the change in percent?",
        "How many minutes after 9:45 is 11:10, less a break of 20 minutes?",
        "midpoint of (1, 2) and (5, 8) moved 3 to the right",
        "distance from (1, 2) to (4, 6) and back",
    ] {
        if let Ok(found) = work(problem, None) {
            answered.push(format!("{problem}: {}", found.answer.text));
        }
    }
    assert!(answered.is_empty(), "{answered:#?}");
}

#[test]
fn a_turn_that_is_understood_is_answered() {
    for (problem, answer) in [
        ("A rectangle has an area of 24 cm² and a width of 4 cm. What is its perimeter?", "20 cm"),
        ("A square has a perimeter of 20 cm. What is its area?", "25 cm²"),
        ("A circle has a circumference of 10π cm. What is its area?", "25π cm²"),
        ("A triangle has a base of 6 cm and an area of 12 cm². Find its height.", "4 cm"),
        ("The probability of rain is 0.3. What is the probability that it does not rain?", "0.7"),
        ("half of 20% of 60", "6"),
        ("twice the difference of 9 and 4", "10"),
        ("9 less than 4", "-5"),
        ("4 less than 9", "5"),
        ("What is the 10th term of 2, 5, 8, 11?", "29"),
        ("sum of the first 10 terms of 2, 5, 8, 11", "155"),
        ("How many minutes are there between 9:45 and 11:10?", "85 min"),
        (
            "£200 is invested at 5% simple interest for 3 years. What is it worth at the end?",
            "£230",
        ),
        ("5 pens cost £4. How many can be bought for £12?", "15"),
        ("A bag has 3 red and 5 blue balls. What is the probability of not red?", "5/8"),
        ("Which term of 2, 5, 8, 11 is 50?", "17"),
        ("A price rises by 25% to £50. What was it before?", "£40"),
        ("What is the gradient of a line perpendicular to y = 2x + 1?", "-1/2"),
        ("What is the gradient of a line parallel to y = 2x + 1?", "2"),
    ] {
        let found = work(problem, None).unwrap_or_else(|why| panic!("{problem}: {}", why.says));
        assert_eq!(found.answer.text, answer, "{problem}");
    }
}
