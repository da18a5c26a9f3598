//! Lines that cannot be read: the place, one sentence that says what to do, and a mend where there is one.

use desk::{DeskLine, judge};
use skills::ladder::{Ladder, LadderOrder};
use teaching::verdict::VerdictWord;

/// Typed, first character and one past the last, what is said, the line as mended.
type Row = (&'static str, (usize, usize), &'static str, Option<&'static str>);

#[rustfmt::skip]
const ROWS: &[Row] = &[
    ("3(2x", (1, 2), "This “(” is never closed.", Some("3(2x)")),
    ("3(2x = 6", (1, 2), "This “(” is never closed.", Some("3(2x) = 6")),
    ("2x)+1", (2, 3), "This “)” closes a bracket that was not opened.", Some("2x+1")),
    ("(2x]", (3, 4), "This “]” closes a bracket that was not opened.", Some("(2x)")),
    ("2x +", (3, 4), "Something is missing after “+”.", None),
    ("2x =", (3, 4), "Something is missing after “=”.", None),
    ("= ", (0, 1), "Something is missing before “=”.", None),
    ("x + × 3", (2, 3), "Something is missing after “+”.", None),
    ("x ÷", (2, 3), "Something is missing after “÷”.", None),
    ("^2", (0, 1), "Something is missing before “^”.", None),
    ("3 # 4", (2, 3), "The sign “#” has no meaning here. Take it out, or write it another way.", Some("3  4")),
    ("x @ 2", (2, 3), "The sign “@” has no meaning here. Take it out, or write it another way.", Some("x  2")),
    ("1.2.3", (0, 5), "“1.2.3” is not a number. Check its points and its fraction.", None),
    ("jars + 3", (0, 4), "“jars” was not recognised. Use single letters for unknowns.", None),
    ("2()", (1, 3), "A box here is still empty.", None),
    ("|x", (0, 1), "This “|” is never closed.", Some("|x|")),
    ("√", (0, 1), "Something is missing after “√”.", None),
    ("sqrt()", (4, 6), "A box here is still empty.", None),
    ("x^", (1, 2), "Something is missing after “^”.", None),
    ("(", (1, 1), "The line stops early: a number, a letter or a bracket should follow.", None),
    ("())", (0, 2), "A box here is still empty.", None),
    ("x==3", (2, 3), "Something is missing before “=”.", None),
    ("<3", (0, 1), "Something is missing before “<”.", None),
    ("3<", (1, 2), "Something is missing after “<”.", None),
    ("x<=", (1, 3), "Something is missing after “<=”.", None),
    ("2:", (1, 2), "Something is missing after “:”.", None),
    (":3", (0, 1), "“:” cannot stand in this place.", None),
    ("x = 3 or", (0, 0), "The line stops early: a number, a letter or a bracket should follow.", None),
    ("5!!!+", (4, 5), "Something is missing after “+”.", None),
    ("1/", (1, 2), "Something is missing after “/”.", None),
    ("\\frac{1}{\\placeholder{}}", (9, 21), "A box here is still empty.", None),
    ("\\foo", (0, 4), "“foo” was not recognised. Use single letters for unknowns.", None),
    ("\\frac{1}", (0, 5), "A box here is still empty.", None),
    ("x = {3", (4, 5), "This “{” is never closed.", Some("x = {3}")),
    ("sin", (0, 3), "Something is missing after “sin”.", None),
    ("log_", (4, 4), "The line stops early: a number, a letter or a bracket should follow.", None),
    ("%", (0, 1), "Something is missing before “%”.", None),
    ("abs(", (4, 4), "The line stops early: a number, a letter or a bracket should follow.", None),
    ("[x", (0, 1), "This “[” is never closed.", Some("[x]")),
    ("x = ≈ 3", (4, 5), "Something is missing before “≈”.", None),
];

#[test]
fn the_place_is_pointed_at_and_the_mend_reads() {
    let skills = vec!["equations.linear".to_owned()];
    let order = LadderOrder {
        skills,
        grip: 1,
        tilt: 0,
        climb: 0,
        seed: 1,
        method: None,
        ..LadderOrder::default()
    };
    let rung = Ladder::make(&order).expect("made").rungs.remove(0);
    for &(typed, place, says, mended) in ROWS {
        let line = judge(&rung, &[DeskLine { text: typed.into(), latex: false }]).lines.remove(0);
        assert_eq!(line.verdict.word, VerdictWord::CantRead, "{typed}");
        assert_eq!(line.verdict.says, says, "{typed}");
        let error = line.error.unwrap_or_else(|| panic!("{typed} has no place"));
        assert_eq!((error.start, error.end), place, "{typed}");
        assert_eq!(error.mended.as_deref(), mended, "{typed}");
        // Laws: the place lies in the line, the sentence ends, a mend can be read or leads further.
        assert!(place.0 <= place.1 && place.1 <= typed.chars().count(), "{typed}");
        assert!(says.ends_with('.'), "{typed}: {says}");
        if let Some(mended) = mended {
            assert_ne!(mended, typed, "{typed}");
        }
    }
}
