//! The formulas of the trade, in the letters that a class uses.

use algebra::{Line, Setting, StepVerdict, compare_given, read_line};

/// Each formula once; a line that says the same in the same letters is it, solved for whichever letter.
const FORMULAS: &[&str] = &[
    // Areas and perimeters
    "A = b h",
    "A = b h/2",
    "A = l w",
    "A = l b",
    "A = a b",
    "A = l^2",
    "A = s^2",
    "A = a^2",
    "A = (a + b) h/2",
    "A = (a + c) h/2",
    "P = 2(l + w)",
    "P = 2(a + b)",
    "P = 4s",
    "P = 4a",
    // Circles
    "C = 2 π r",
    "C = π d",
    "A = π r^2",
    "d = 2r",
    "A = π d^2/4",
    // Solids
    "V = l w h",
    "V = a b c",
    "V = A h",
    "V = π r^2 h",
    "V = 4/3 π r^3",
    "V = π r^2 h/3",
    "V = s^3",
    "V = a^3",
    // Right-angled triangles
    "a^2 + b^2 = c^2",
    "sin(A) = a/c",
    "cos(A) = b/c",
    "tan(A) = a/b",
    // Rates
    "v = d/t",
    "v = s/t",
    "s = d/t",
    "d = m/V",
    "I = P r t",
    "A = P(1 + r)^t",
    // Straight lines and sequences
    "y = m x + c",
    "y = m x + b",
    "a_n = a_1 + (n - 1) d",
    "a_n = a_1 r^(n - 1)",
];

/// Whether a line is one of them.
pub(super) fn is_known(line: &Line) -> bool {
    let letters = line.symbols();
    FORMULAS.iter().any(|formula| {
        read_line(formula).is_ok_and(|reading| {
            reading.line.symbols() == letters
                && matches!(
                    compare_given(&reading.line, line, &Setting::default()),
                    StepVerdict::Equivalent { .. }
                )
        })
    })
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn a_formula_is_known_in_any_arrangement() {
        for text in [
            "A = 1/2 b h",
            "h = 2A/b",
            "bh = 2A",
            "A = πr^2",
            "C = 2πr",
            "P = 2l + 2w",
            "d = v t",
            "V = l × w × h",
        ] {
            assert!(is_known(&read_line(text).expect(text).line), "{text}");
        }
        for text in ["A = 2 b h", "A = π r", "C = π r^2", "P = l + w", "A = b + h"] {
            assert!(!is_known(&read_line(text).expect(text).line), "{text}");
        }
    }

    #[test]
    fn all_can_be_read() {
        for formula in FORMULAS {
            assert!(
                read_line(formula).is_ok_and(|reading| reading.line.symbols().len() > 1),
                "{formula}"
            );
        }
    }
}
