//! Workings as they would be written on a board: one idea a line, a reason for each, every line proved.

use skills::typed::{TypedWorking, work};
use teaching::ids::MethodId;
use teaching::verdict::VerdictWord;

/// A working as rows of mathematics and reason.
fn rows(working: &TypedWorking) -> Vec<String> {
    working.working.iter().map(|line| format!("{} | {}", line.math, line.reason)).collect()
}

#[track_caller]
fn check(problem: &str, method: &'static str, expected: &[&str]) {
    let found = work(problem, Some(MethodId::new(method)))
        .unwrap_or_else(|why| panic!("{problem}: {}", why.says));
    assert_eq!(rows(&found), expected, "{problem} by {method}");
    // What is given out is proved: only the first line and words carry no claim.
    for line in &found.working {
        assert!(matches!(line.verdict, VerdictWord::Given | VerdictWord::Holds), "{}", line.math);
    }
    assert_eq!(found.working[0].verdict, VerdictWord::Given);
}

#[test]
#[rustfmt::skip]
fn the_same_is_done_to_both_sides() {
    check("x + 7 = 12", "balance", &[
        "x + 7 = 12 | The problem",
        "x = 5 | Subtract $7$ from both sides",
    ]);
    check("x - 3 = 8", "balance", &[
        "x - 3 = 8 | The problem",
        "x = 11 | Add $3$ to both sides",
    ]);
    check("4x = 20", "balance", &[
        "4x = 20 | The problem",
        "x = 5 | Divide both sides by $4$",
    ]);
    check("x/3 = 4", "balance", &[
        "x/3 = 4 | The problem",
        "x = 12 | Multiply both sides by $3$, the common denominator",
    ]);
    check("-x = 4", "balance", &[
        "-x = 4 | The problem",
        "x = -4 | Divide both sides by $-1$",
    ]);
    check("9 = 3x", "balance", &[
        "9 = 3x | The problem",
        "3 = x | Divide both sides by $3$",
        "x = 3 | Write the unknown on the left",
    ]);
    check("2x + 3 = 11", "balance", &[
        "2x + 3 = 11 | The problem",
        "2x = 8 | Subtract $3$ from both sides",
        "x = 4 | Divide both sides by $2$",
    ]);
    check("3x - 4 = 11", "balance", &[
        "3x - 4 = 11 | The problem",
        "3x = 15 | Add $4$ to both sides",
        "x = 5 | Divide both sides by $3$",
    ]);
    check("5 - x = 2", "balance", &[
        "5 - x = 2 | The problem",
        "-x = -3 | Subtract $5$ from both sides",
        "x = 3 | Divide both sides by $-1$",
    ]);
    check("7 - 2x = 1", "balance", &[
        "7 - 2x = 1 | The problem",
        "-2x = -6 | Subtract $7$ from both sides",
        "x = 3 | Divide both sides by $-2$",
    ]);
    check("x/2 + 3 = 7", "balance", &[
        "x/2 + 3 = 7 | The problem",
        "x + 6 = 14 | Multiply both sides by $2$, the common denominator",
        "x = 8 | Subtract $6$ from both sides",
    ]);
    check("3(2x - 5) = 27", "balance", &[
        "3(2x - 5) = 27 | The problem",
        "6x - 15 = 27 | Multiply out the brackets",
        "6x = 42 | Add $15$ to both sides",
        "x = 7 | Divide both sides by $6$",
    ]);
    check("-2(x - 3) = 8", "balance", &[
        "-2(x - 3) = 8 | The problem",
        "-2x + 6 = 8 | Multiply out the brackets",
        "-2x = 2 | Subtract $6$ from both sides",
        "x = -1 | Divide both sides by $-2$",
    ]);
    check("2(x + 1) + 3 = 11", "balance", &[
        "2(x + 1) + 3 = 11 | The problem",
        "2x + 2 + 3 = 11 | Multiply out the brackets",
        "2x + 5 = 11 | Collect like terms",
        "2x = 6 | Subtract $5$ from both sides",
        "x = 3 | Divide both sides by $2$",
    ]);
    check("5x + 3 = 2x + 12", "balance", &[
        "5x + 3 = 2x + 12 | The problem",
        "3x + 3 = 12 | Subtract $2x$ from both sides",
        "3x = 9 | Subtract $3$ from both sides",
        "x = 3 | Divide both sides by $3$",
    ]);
    check("4(x - 3) = 2x + 6", "balance", &[
        "4(x - 3) = 2x + 6 | The problem",
        "4x - 12 = 2x + 6 | Multiply out the brackets",
        "2x - 12 = 6 | Subtract $2x$ from both sides",
        "2x = 18 | Add $12$ to both sides",
        "x = 9 | Divide both sides by $2$",
    ]);
    check("2x + 9 = 5x", "balance", &[
        "2x + 9 = 5x | The problem",
        "9 = 3x | Subtract $2x$ from both sides",
        "3 = x | Divide both sides by $3$",
        "x = 3 | Write the unknown on the left",
    ]);
    check("x/2 + x/3 = 5", "balance", &[
        "x/2 + x/3 = 5 | The problem",
        "3x + 2x = 30 | Multiply both sides by $6$, the common denominator",
        "5x = 30 | Collect like terms",
        "x = 6 | Divide both sides by $5$",
    ]);
    check("0.5y = 4", "balance", &[
        "0.5y = 4 | The problem",
        "y = 8 | Multiply both sides by $2$",
    ]);
    check("0.5x - 1.2 = 0.3", "balance", &[
        "0.5x - 1.2 = 0.3 | The problem",
        "0.5x = 1.5 | Add $1.2$ to both sides",
        "x = 3 | Multiply both sides by $2$",
    ]);
    check("2(x+1) = 2x", "balance", &[
        "2(x + 1) = 2x | The problem",
        "2x + 2 = 2x | Multiply out the brackets",
        "2 = 0 | Subtract $2x$ from both sides",
        "no solution | This is never true, whatever the unknown is",
    ]);
    check("2(x+1) = 2x + 2", "balance", &[
        "2(x + 1) = 2x + 2 | The problem",
        "2x + 2 = 2x + 2 | Multiply out the brackets",
        "2 = 2 | Subtract $2x$ from both sides",
        "all real numbers | This is always true, whatever the unknown is",
    ]);
    check("3x + 2x = 10", "balance", &[
        "3x + 2x = 10 | The problem",
        "5x = 10 | Collect like terms",
        "x = 2 | Divide both sides by $5$",
    ]);
    check("3 + 2x = 11", "balance", &[
        "3 + 2x = 11 | The problem",
        "2x = 8 | Subtract $3$ from both sides",
        "x = 4 | Divide both sides by $2$",
    ]);
    check("10 = 4 - 3x", "balance", &[
        "10 = 4 - 3x | The problem",
        "6 = -3x | Subtract $4$ from both sides",
        "-2 = x | Divide both sides by $-3$",
        "x = -2 | Write the unknown on the left",
    ]);
    check("3x - x + 2 = 10", "balance", &[
        "3x - x + 2 = 10 | The problem",
        "2x + 2 = 10 | Collect like terms",
        "2x = 8 | Subtract $2$ from both sides",
        "x = 4 | Divide both sides by $2$",
    ]);
    check("6 = 2 + x", "balance", &[
        "6 = 2 + x | The problem",
        "4 = x | Subtract $2$ from both sides",
        "x = 4 | Write the unknown on the left",
    ]);
    check("(x + 3)/2 = 5", "balance", &[
        "(x + 3)/2 = 5 | The problem",
        "x + 3 = 10 | Multiply both sides by $2$, the common denominator",
        "x = 7 | Subtract $3$ from both sides",
    ]);
    check("2x/3 = 8", "balance", &[
        "2x/3 = 8 | The problem",
        "2x = 24 | Multiply both sides by $3$, the common denominator",
        "x = 12 | Divide both sides by $2$",
    ]);
    check("3(x - 2) = 2(x + 1)", "balance", &[
        "3(x - 2) = 2(x + 1) | The problem",
        "3x - 6 = 2x + 2 | Multiply out the brackets",
        "x - 6 = 2 | Subtract $2x$ from both sides",
        "x = 8 | Add $6$ to both sides",
    ]);
}

#[test]
#[rustfmt::skip]
fn operations_are_undone_in_reverse() {
    check("x + 7 = 12", "undo", &[
        "x + 7 = 12 | The problem",
        "x = 5 | Subtract $7$ from both sides",
    ]);
    check("x - 3 = 8", "undo", &[
        "x - 3 = 8 | The problem",
        "x = 11 | Add $3$ to both sides",
    ]);
    check("4x = 20", "undo", &[
        "4x = 20 | The problem",
        "x = 5 | Divide both sides by $4$",
    ]);
    check("x/3 = 4", "undo", &[
        "x/3 = 4 | The problem",
        "x = 12 | Multiply both sides by $3$",
    ]);
    check("-x = 4", "undo", &[
        "-x = 4 | The problem",
        "x = -4 | Multiply both sides by $-1$",
    ]);
    check("9 = 3x", "undo", &[
        "9 = 3x | The problem",
        "3 = x | Divide both sides by $3$",
        "x = 3 | Write the unknown on the left",
    ]);
    check("2x + 3 = 11", "undo", &[
        "2x + 3 = 11 | The problem",
        "2x = 8 | Subtract $3$ from both sides",
        "x = 4 | Divide both sides by $2$",
    ]);
    check("3x - 4 = 11", "undo", &[
        "3x - 4 = 11 | The problem",
        "3x = 15 | Add $4$ to both sides",
        "x = 5 | Divide both sides by $3$",
    ]);
    check("5 - x = 2", "undo", &[
        "5 - x = 2 | The problem",
        "-x = -3 | Subtract $5$ from both sides",
        "x = 3 | Multiply both sides by $-1$",
    ]);
    check("7 - 2x = 1", "undo", &[
        "7 - 2x = 1 | The problem",
        "-2x = -6 | Subtract $7$ from both sides",
        "2x = 6 | Multiply both sides by $-1$",
        "x = 3 | Divide both sides by $2$",
    ]);
    check("x/2 + 3 = 7", "undo", &[
        "x/2 + 3 = 7 | The problem",
        "x/2 = 4 | Subtract $3$ from both sides",
        "x = 8 | Multiply both sides by $2$",
    ]);
    check("3(2x - 5) = 27", "undo", &[
        "3(2x - 5) = 27 | The problem",
        "2x - 5 = 9 | Divide both sides by $3$",
        "2x = 14 | Add $5$ to both sides",
        "x = 7 | Divide both sides by $2$",
    ]);
    check("-2(x - 3) = 8", "undo", &[
        "-2(x - 3) = 8 | The problem",
        "2(x - 3) = -8 | Multiply both sides by $-1$",
        "x - 3 = -4 | Divide both sides by $2$",
        "x = -1 | Add $3$ to both sides",
    ]);
    check("2(x + 1) + 3 = 11", "undo", &[
        "2(x + 1) + 3 = 11 | The problem",
        "2(x + 1) = 8 | Subtract $3$ from both sides",
        "x + 1 = 4 | Divide both sides by $2$",
        "x = 3 | Subtract $1$ from both sides",
    ]);
    check("0.5y = 4", "undo", &[
        "0.5y = 4 | The problem",
        "y = 8 | Divide both sides by $0.5$",
    ]);
    check("0.5x - 1.2 = 0.3", "undo", &[
        "0.5x - 1.2 = 0.3 | The problem",
        "0.5x = 1.5 | Add $1.2$ to both sides",
        "x = 3 | Divide both sides by $0.5$",
    ]);
    check("3 + 2x = 11", "undo", &[
        "3 + 2x = 11 | The problem",
        "2x = 8 | Subtract $3$ from both sides",
        "x = 4 | Divide both sides by $2$",
    ]);
    check("10 = 4 - 3x", "undo", &[
        "10 = 4 - 3x | The problem",
        "6 = -3x | Subtract $4$ from both sides",
        "-6 = 3x | Multiply both sides by $-1$",
        "-2 = x | Divide both sides by $3$",
        "x = -2 | Write the unknown on the left",
    ]);
    check("6 = 2 + x", "undo", &[
        "6 = 2 + x | The problem",
        "4 = x | Subtract $2$ from both sides",
        "x = 4 | Write the unknown on the left",
    ]);
    check("(x + 3)/2 = 5", "undo", &[
        "(x + 3)/2 = 5 | The problem",
        "x + 3 = 10 | Multiply both sides by $2$",
        "x = 7 | Subtract $3$ from both sides",
    ]);
    check("2x/3 = 8", "undo", &[
        "2x/3 = 8 | The problem",
        "2x = 24 | Multiply both sides by $3$",
        "x = 12 | Divide both sides by $2$",
    ]);
}

#[test]
#[rustfmt::skip]
fn proportions_are_cross_multiplied() {
    check("n/6 = 10/15", "cross-multiply", &[
        "n/6 = 10/15 | The problem",
        "n × 15 = 10 × 6 | Cross-multiply: the two diagonal products are equal",
        "15n = 60 | Work it out",
        "n = 4 | Divide both sides by $15$",
    ]);
    check("6/n = 3/5", "cross-multiply", &[
        "6/n = 3/5 | The problem",
        "n × 3 = 5 × 6 | Cross-multiply: the two diagonal products are equal",
        "3n = 30 | Work it out",
        "n = 10 | Divide both sides by $3$",
    ]);
    check("3/8 = n/24", "cross-multiply", &[
        "3/8 = n/24 | The problem",
        "n × 8 = 3 × 24 | Cross-multiply: the two diagonal products are equal",
        "8n = 72 | Work it out",
        "n = 9 | Divide both sides by $8$",
    ]);
    check("4/9 = 20/n", "cross-multiply", &[
        "4/9 = 20/n | The problem",
        "n × 4 = 9 × 20 | Cross-multiply: the two diagonal products are equal",
        "4n = 180 | Work it out",
        "n = 45 | Divide both sides by $4$",
    ]);
    check("2:3 = n:12", "cross-multiply", &[
        "2:3 = n:12 | The problem",
        "2/3 = n/12 | Write both ratios as fractions",
        "n × 3 = 2 × 12 | Cross-multiply: the two diagonal products are equal",
        "3n = 24 | Work it out",
        "n = 8 | Divide both sides by $3$",
    ]);
    check("n:9 = 4:6", "cross-multiply", &[
        "n:9 = 4:6 | The problem",
        "n/9 = 4/6 | Write both ratios as fractions",
        "n × 6 = 4 × 9 | Cross-multiply: the two diagonal products are equal",
        "6n = 36 | Work it out",
        "n = 6 | Divide both sides by $6$",
    ]);
    check("0.5/0.6 = n/42", "cross-multiply", &[
        "0.5/0.6 = n/42 | The problem",
        "n × 0.6 = 0.5 × 42 | Cross-multiply: the two diagonal products are equal",
        "0.6n = 21 | Work it out",
        "n = 35 | Divide both sides by $0.6$",
    ]);
}

#[test]
#[rustfmt::skip]
fn proportions_are_scaled() {
    check("n/6 = 10/15", "scale-factor", &[
        "n/6 = 10/15 | The problem",
        "6/15 = 2/5 | Find the scale factor from the pair that is known",
        "n = 10 × (2/5) | Scale its partner by the same factor, $\\frac{2}{5}$",
        "n = 4 | Work it out",
    ]);
    check("6/n = 3/5", "scale-factor", &[
        "6/n = 3/5 | The problem",
        "6/3 = 2 | Find the scale factor from the pair that is known",
        "n = 5 × 2 | Scale its partner by the same factor, $2$",
        "n = 10 | Work it out",
    ]);
    check("3/8 = n/24", "scale-factor", &[
        "3/8 = n/24 | The problem",
        "24/8 = 3 | Find the scale factor from the pair that is known",
        "n = 3 × 3 | Scale its partner by the same factor, $3$",
        "n = 9 | Work it out",
    ]);
    check("4/9 = 20/n", "scale-factor", &[
        "4/9 = 20/n | The problem",
        "20/4 = 5 | Find the scale factor from the pair that is known",
        "n = 9 × 5 | Scale its partner by the same factor, $5$",
        "n = 45 | Work it out",
    ]);
    check("2:3 = n:12", "scale-factor", &[
        "2:3 = n:12 | The problem",
        "12/3 = 4 | Find the scale factor from the pair that is known",
        "n = 2 × 4 | Scale its partner by the same factor, $4$",
        "n = 8 | Work it out",
    ]);
    check("n:9 = 4:6", "scale-factor", &[
        "n:9 = 4:6 | The problem",
        "9/6 = 3/2 | Find the scale factor from the pair that is known",
        "n = 4 × (3/2) | Scale its partner by the same factor, $\\frac{3}{2}$",
        "n = 6 | Work it out",
    ]);
    check("0.5/0.6 = n/42", "scale-factor", &[
        "0.5/0.6 = n/42 | The problem",
        "42/0.6 = 70 | Find the scale factor from the pair that is known",
        "n = 0.5 × 70 | Scale its partner by the same factor, $70$",
        "n = 35 | Work it out",
    ]);
}

#[test]
#[rustfmt::skip]
fn proportions_go_through_one() {
    check("n/6 = 10/15", "unit-rate", &[
        "n/6 = 10/15 | The problem",
        "10/15 = 2/3 | Find how much goes with one",
        "n/6 = 2/3 | Work it out",
        "n = 6 × (2/3) | Multiply both sides by $6$",
        "n = 4 | Work it out",
    ]);
    check("6/n = 3/5", "unit-rate", &[
        "6/n = 3/5 | The problem",
        "n/6 = 5/3 | Work it out",
        "n = 6 × (5/3) | Multiply both sides by $6$",
        "n = 10 | Work it out",
    ]);
    check("3/8 = n/24", "unit-rate", &[
        "3/8 = n/24 | The problem",
        "n/24 = 3/8 | Work it out",
        "n = 24 × (3/8) | Multiply both sides by $24$",
        "n = 9 | Work it out",
    ]);
    check("4/9 = 20/n", "unit-rate", &[
        "4/9 = 20/n | The problem",
        "n/20 = 9/4 | Work it out",
        "n = 20 × (9/4) | Multiply both sides by $20$",
        "n = 45 | Work it out",
    ]);
    check("2:3 = n:12", "unit-rate", &[
        "2:3 = n:12 | The problem",
        "n/12 = 2/3 | Work it out",
        "n = 12 × (2/3) | Multiply both sides by $12$",
        "n = 8 | Work it out",
    ]);
    check("n:9 = 4:6", "unit-rate", &[
        "n:9 = 4:6 | The problem",
        "4/6 = 2/3 | Find how much goes with one",
        "n/9 = 2/3 | Work it out",
        "n = 9 × (2/3) | Multiply both sides by $9$",
        "n = 6 | Work it out",
    ]);
    check("0.5/0.6 = n/42", "unit-rate", &[
        "0.5/0.6 = n/42 | The problem",
        "0.5/0.6 = 5/6 | Find how much goes with one",
        "n/42 = 5/6 | Work it out",
        "n = 42 × (5/6) | Multiply both sides by $42$",
        "n = 35 | Work it out",
    ]);
}
