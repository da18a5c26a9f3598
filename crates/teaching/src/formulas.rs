//! The formulas of the trade, named once, in the letters that a class uses.

/// A formula.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub struct Formula {
    /// It in letters, as it is typed.
    pub typed: &'static str,
    /// It for typesetting.
    pub latex: &'static str,
    /// What it gives, as it is said above a working.
    pub says: &'static str,
}

const fn formula(typed: &'static str, latex: &'static str, says: &'static str) -> Formula {
    Formula { typed, latex, says }
}

/// From the base and the height on it.
pub const TRIANGLE: Formula =
    formula("A = 1/2 × b × h", r"A = \frac{1}{2} \times b \times h", "The area of a triangle");
/// From its length and its width.
pub const RECTANGLE: Formula = formula("A = l × w", r"A = l \times w", "The area of a rectangle");
/// From the radius.
pub const CIRCLE: Formula = formula("A = π × r^2", r"A = \pi r^{2}", "The area of a circle");
/// From the diameter.
pub const CIRCLE_ACROSS: Formula = formula(
    "A = π × (d/2)^2",
    r"A = \pi \left(\frac{d}{2}\right)^{2}",
    "The area of a circle, whose radius is half of its diameter",
);
/// From the outer radius R and the inner one.
pub const RING: Formula = formula(
    "A = π × R^2 - π × r^2",
    r"A = \pi R^{2} - \pi r^{2}",
    "The outer circle without the inner one",
);
/// From the angle at the centre, in degrees, and the radius.
pub const SECTOR: Formula = formula(
    "A = α/360 × π × r^2",
    r"A = \frac{\alpha}{360} \times \pi r^{2}",
    "As much of the circle as the angle is of a full turn",
);
/// From the radius.
pub const CIRCUMFERENCE: Formula =
    formula("C = 2π × r", r"C = 2\pi r", "The circumference of a circle");
/// From the diameter.
pub const CIRCUMFERENCE_ACROSS: Formula =
    formula("C = π × d", r"C = \pi d", "The circumference of a circle");
/// From the angle at the centre, in degrees, and the radius.
pub const ARC: Formula = formula(
    "l = α/360 × 2π × r",
    r"l = \frac{\alpha}{360} \times 2\pi r",
    "As much of the way around as the angle is of a full turn",
);
/// From the radius.
pub const DIAMETER: Formula = formula("d = 2r", r"d = 2r", "The diameter is twice the radius");
/// Of a right-angled triangle with the hypotenuse c.
pub const PYTHAGORAS: Formula =
    formula("a^2 + b^2 = c^2", r"a^{2} + b^{2} = c^{2}", "The theorem of Pythagoras");
/// The hypotenuse from the legs.
pub const HYPOTENUSE: Formula = formula(
    "c = sqrt(a^2 + b^2)",
    r"c = \sqrt{a^{2} + b^{2}}",
    "Pythagoras, solved for the hypotenuse",
);
/// A leg from the hypotenuse and the other leg.
pub const LEG: Formula =
    formula("b = sqrt(c^2 - a^2)", r"b = \sqrt{c^{2} - a^{2}}", "Pythagoras, solved for a leg");
/// From the three edges.
pub const DIAGONAL: Formula = formula(
    "d = sqrt(a^2 + b^2 + c^2)",
    r"d = \sqrt{a^{2} + b^{2} + c^{2}}",
    "Pythagoras twice: the diagonal of a box",
);
/// From the whole and the percentage, as a fraction of 100.
pub const PART: Formula = formula(
    "part = percent × whole",
    r"\text{part} = \text{percent} \times \text{whole}",
    "The part is so many per cent of the whole",
);
/// A rise or a fall as one multiplication.
pub const MULTIPLIED: Formula = formula(
    "new = multiplier × old",
    r"\text{new} = \text{multiplier} \times \text{old}",
    "A percent up or down is one multiplication",
);
/// The n-th term of a linear sequence with the first term a and the difference d.
pub const LINEAR_TERM: Formula = formula(
    "t_n = a + (n - 1) × d",
    r"t_{n} = a + (n - 1) \times d",
    "The first term, and one difference for each step",
);
/// What is left of a start after n halvings.
pub const HALVED: Formula = formula(
    "left = start × (1/2)^n",
    r"\text{left} = \text{start} \times \left(\frac{1}{2}\right)^{n}",
    "Each half-life leaves a half",
);
/// A straight line with the slope m that starts at c.
pub const LINE: Formula =
    formula("y = m × x + c", r"y = mx + c", "So much for each step, and the start");
/// Of a right-angled triangle.
pub const SINE: Formula =
    formula("sin(α) = o/h", r"\sin \alpha = \frac{o}{h}", "Sine is opposite over hypotenuse");
/// Of a right-angled triangle.
pub const COSINE: Formula =
    formula("cos(α) = a/h", r"\cos \alpha = \frac{a}{h}", "Cosine is adjacent over hypotenuse");
/// Of a right-angled triangle.
pub const TANGENT: Formula =
    formula("tan(α) = o/a", r"\tan \alpha = \frac{o}{a}", "Tangent is opposite over adjacent");

/// All of them in letters, with those that no skill of ours needs: a line that says the same in the same letters is one
/// of them, solved for whichever letter.
pub const ALL: &[&str] = &[
    // Areas and perimeters
    "A = b h",
    TRIANGLE.typed,
    RECTANGLE.typed,
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
    CIRCUMFERENCE.typed,
    CIRCUMFERENCE_ACROSS.typed,
    CIRCLE.typed,
    DIAMETER.typed,
    CIRCLE_ACROSS.typed,
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
    PYTHAGORAS.typed,
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

#[cfg(test)]
mod tests {
    use super::*;
    use algebra::{Setting, StepVerdict, compare_given, read_latex, read_line};

    #[test]
    fn each_joins_several_letters() {
        for formula in ALL {
            let read = read_line(formula).expect(formula).line;
            assert!(read.symbols().len() > 1 && read.as_equation().is_some(), "{formula}");
        }
    }

    #[test]
    fn what_is_typeset_is_what_is_typed() {
        for formula in [
            TRIANGLE,
            RECTANGLE,
            CIRCLE,
            CIRCLE_ACROSS,
            RING,
            SECTOR,
            CIRCUMFERENCE,
            CIRCUMFERENCE_ACROSS,
            ARC,
            DIAMETER,
            PYTHAGORAS,
            HYPOTENUSE,
            LEG,
            DIAGONAL,
            LINEAR_TERM,
            LINE,
            SINE,
            COSINE,
            TANGENT,
        ] {
            let typed = read_line(formula.typed).expect(formula.typed).line;
            let typeset = read_latex(formula.latex).expect(formula.latex).line;
            let verdict = compare_given(&typed, &typeset, &Setting::default());
            assert!(matches!(verdict, StepVerdict::Equivalent { .. }), "{}", formula.latex);
        }
    }
}
