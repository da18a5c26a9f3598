//! The tables of the specification of reading and verdicts, row by row and in its order.

use algebra::read::quantities_in;
use algebra::write::text_line;
use algebra::{Line, Options, read_line, read_line_with};
use protocol::check::{CheckAnswer, CheckRequest, Verdict, answer};

fn ask(from: &str, to: &str, options: &str) -> CheckAnswer {
    let mut request = CheckRequest {
        from: from.into(),
        to: (!to.is_empty()).then(|| to.into()),
        ..CheckRequest::default()
    };
    for option in options.split(';').map(str::trim).filter(|option| !option.is_empty()) {
        match option.split_once(' ') {
            Some(("for", letter)) => request.unknown = Some(letter.into()),
            Some(("assume", text)) => request.assume.push(text.into()),
            _ if option == "quantities" => request.quantities = true,
            _ => panic!("no option: {option}"),
        }
    }
    answer(&request)
}

/// Two spellings of one line.
#[track_caller]
fn alike(rows: &[(&str, &str)]) {
    for (typed, meant) in rows {
        let read = |text: &str| read_line(text).unwrap_or_else(|e| panic!("{text}: {e:?}")).line;
        assert_eq!(text_line(&read(typed)), text_line(&read(meant)), "{typed}");
    }
}

#[track_caller]
fn equivalent(rows: &[(&str, &str, &str)]) {
    for (from, to, options) in rows {
        let found = ask(from, to, options);
        assert_eq!(found.verdict, Verdict::Equivalent, "{from} -> {to}");
    }
}

#[test]
fn what_people_type_and_what_it_means() {
    alike(&[
        ("2x", "2*x"),
        ("3(x+1)", "3*(x+1)"),
        ("(x+1)(x-2)", "(x+1)*(x-2)"),
        ("2 sqrt 3 x", "2*sqrt(3)*x"),
        ("xy", "x*y"),
        ("a b c", "a*b*c"),
        ("x²", "x^2"),
        ("2^3^2", "2^(3^2)"),
        ("√12", "sqrt(12)"),
        ("sqrt 12", "sqrt(12)"),
        ("3√7", "3*sqrt(7)"),
        ("³√8", "cbrt(8)"),
        ("∛8", "cbrt(8)"),
        ("\\sqrt[4]{81}", "root(4, 81)"),
        ("½", "1/2"),
        ("3½", "3 1/2"),
        ("1/2x", "(1/2)*x"),
        ("5×3", "5*3"),
        ("5·3", "5*3"),
        ("6÷2", "6/2"),
        ("5−3", "5-3"),
        ("5–3", "5-3"),
        ("[(x+1)]", "x+1"),
        ("{x+1}", "x+1"),
        ("abs(x)", "|x|"),
        ("sin^2 x", "(sin x)^2"),
        ("sin 2x", "sin(2x)"),
        ("sin^-1(1/2)", "arcsin(1/2)"),
        ("tan^-1 x", "arctan x"),
        ("cosec x", "csc x"),
        ("pi", "π"),
        ("\\binom{8}{2}", "C(8,2)"),
        ("gcd(12,18)", "hcf(12,18)"),
        ("\\frac{1}{2}x+\\sqrt{3}", "1/2x+√3"),
        ("\\frac12", "1/2"),
        ("\\left(x-1\\right)^{2}", "(x-1)^2"),
        ("x \\le 3", "x ≤ 3"),
        ("x=1 \\lor x=2", "x=1 or x=2"),
        ("30\\degree", "30°"),
        ("so x = 3", "x = 3"),
        ("∴ x=3", "x = 3"),
        ("x = 3.", "x = 3"),
        ("x/2y", "(x/2)*y"),
        ("x^1/2", "(x^1)/2"),
        ("e^2x", "(e^2)*x"),
        ("√3x", "(√3)*x"),
        ("sin(x)^2", "(sin x)^2"),
    ]);
    equivalent(&[
        ("x^(1/2)", "sqrt(x)", ""),
        ("x^-3", "1/x^3", ""),
        ("-3^2", "-9", ""),
        ("(-8)^(1/3)", "-2", ""),
        ("(-1)^(2/3)", "1", ""),
        ("root(4, 81)", "3", ""),
        ("3 1/2", "7/2", ""),
        (".5", "0.5", ""),
        ("1,200", "1200", ""),
        ("1 200", "1200", ""),
        ("0.1(6)", "1/6", ""),
        ("3.2×10^5", "320000", ""),
        ("3.2e5", "320000", ""),
        ("35%", "7/20", ""),
        ("15% of 60", "9", ""),
        ("sin 30°", "1/2", ""),
        ("arctan 1", "π/4", ""),
        ("log 100", "2", ""),
        ("log_2 8", "3", ""),
        ("5!", "120", ""),
        ("C(8,2)", "28", ""),
        ("max(2,3)", "3", ""),
        ("lcm(4,6)", "12", ""),
        ("1011_2", "11", ""),
        ("2F_16", "47", ""),
        ("1:2:3", "2:4:6", ""),
        ("a:b = c:d", "a d = b c", ""),
        ("80 mm", "8 cm", "quantities"),
        ("12 cm²", "1200 mm²", "quantities"),
        ("2 h 15 min", "135 min", "quantities"),
        ("$3.50", "350 ¢", "quantities"),
        ("90 km/h", "25 m/s", "quantities"),
        ("x^2 = 4", "x = ±2", ""),
    ]);
    let unfinished = read_line("\\placeholder{}").expect_err("an empty place");
    assert!(!format!("{unfinished:?}").is_empty());
}

#[test]
fn every_kind_of_line_is_read() {
    let kind = |text: &str| match read_line(text).expect(text).line {
        Line::Expression(_) => "expression",
        Line::Relations { sides, .. } if sides.len() > 2 => "chain",
        Line::Relations { .. } => "relation",
        Line::AnyOf(_) => "solutions",
        Line::AllOf(_) => "system",
        Line::Definition { .. } => "definition",
        Line::Rounded(_) => "rounded",
        Line::Set(_) => "intervals",
        Line::Point(_) => "point",
        Line::NoSolution => "none",
        Line::AllReals => "all",
        Line::Sentence(_) => "sentence",
    };
    for (text, expected) in [
        ("3x + 2", "expression"),
        ("3x = 12", "relation"),
        ("x < 5", "relation"),
        ("2 < x <= 5", "chain"),
        ("52 - 17 = 35 = 70/2", "chain"),
        ("x = 3 or x = -2", "solutions"),
        ("x ∈ {3, -2}", "solutions"),
        ("x = 3 and x = -2", "solutions"),
        ("no solution", "none"),
        ("all real numbers", "all"),
        ("(x, y) = (3, 2)", "system"),
        ("x = 3, y = 2", "system"),
        ("x+y=5; x-y=1", "system"),
        ("2:3", "expression"),
        ("x ≈ 10.4", "relation"),
        ("let u = x^2", "definition"),
        ("There are 36 jars on the stall.", "sentence"),
        ("[2, 5)", "intervals"),
        ("(2, 5)", "point"),
    ] {
        assert_eq!(kind(text), expected, "{text}");
    }
    let found = quantities_in("There are 36 jars on the stall.");
    assert_eq!(found.len(), 1);
    let options = Options { quantities: true, ..Options::default() };
    assert!(read_line_with("25°", options).is_ok());
}

#[test]
fn the_table_of_verdicts() {
    equivalent(&[
        ("3(x+4)", "3x+12", ""),
        ("sqrt(x^2)", "x", "assume x >= 0"),
        ("sqrt(3+2sqrt(2))", "1+sqrt 2", ""),
        ("4 sqrt(3x-2) + 7 = 27", "sqrt(3x-2) = 5", ""),
        ("sqrt(3x-2) = 5", "3x-2 = 25", ""),
        ("3x-2 = 25", "x = 9", ""),
        ("x+6 = x^2", "x = 3 or x = -2", ""),
        ("x+y=5; x-y=1", "x=3, y=2", ""),
        ("x = 83/8", "x = 10.375", ""),
        ("x = 83/8", "x ≈ 10.4", ""),
        ("2:3", "8:12", ""),
        ("2:3 = n:12", "3n = 24", ""),
        ("0.05 m", "5 cm", "quantities"),
    ]);
    let domain = |from, to, options| {
        let found = ask(from, to, options);
        assert_eq!(found.verdict.name(), "equivalent", "{from} -> {to}");
        found.domain.unwrap_or_default()
    };
    assert_eq!(domain("(x^2-1)/(x-1)", "x+1", ""), "x ≠ 1");
    assert_eq!(domain("A = 1/2 b h", "h = 2A/b", "for h"), "b ≠ 0");
    let moves = |from, to| ask(from, to, "").made.unwrap_or_default();
    let both = "subtract 7 from both sides and divide both sides by 4";
    assert_eq!(moves("4 sqrt(3x-2) + 7 = 27", "sqrt(3x-2) = 5"), both);
    assert_eq!(moves("sqrt(3x-2) = 5", "3x-2 = 25"), "square both sides");
    let both = "add 2 to both sides and divide both sides by 3";
    assert_eq!(moves("3x-2 = 25", "x = 9"), both);
    assert_eq!(moves("x^2 = 5x", "x = 5"), "divided by x, which may be 0");
    assert_eq!(moves("sqrt(x+6) = x", "x+6 = x^2"), "square both sides");
}

#[test]
fn the_table_of_verdicts_where_they_are_not_equivalent() {
    let shown = |from: &str, to: &str| {
        let found = ask(from, to, "");
        assert_eq!(found.verdict, Verdict::NotEquivalent, "{from} -> {to}");
        let shown = found.counterexample.expect("a point that shows it");
        let at: Vec<_> =
            shown.at.iter().map(|(letter, value)| format!("{letter}={value}")).collect();
        format!("{}: {} against {}", at.join(" "), shown.left, shown.right)
    };
    assert_eq!(shown("3(x+4)", "3x+4"), "x=0: 12 against 4");
    assert_eq!(shown("sqrt(x^2)", "x"), "x=-1: 1 against -1");
    assert_eq!(shown("x(x-1)(x-2)(x-3)+x", "x"), "x=-1: 23 against -1");
    assert_eq!(shown("-2x < 6", "x < -3"), "x=0: true against false");
    assert_eq!(shown("3.14159", "π"), ": 3.14159 against π");
    assert_eq!(shown("5+3 = 8×2 = 16", ""), ": 8 against 16");
    let sets = |from: &str, to: &str| {
        let found = ask(from, to, "");
        assert_eq!(found.verdict.name(), "not_equivalent", "{from} -> {to}");
        (found.lost.join(","), found.gained.join(","))
    };
    assert_eq!(sets("x^2 = 5x", "x = 5"), ("0".into(), String::new()));
    assert_eq!(sets("sqrt(x+6) = x", "x+6 = x^2"), (String::new(), "-2".into()));
    assert_eq!(sets("x/x = 1", "all real numbers"), (String::new(), "0".into()));
    assert_eq!(ask("xy = 3x", "y = 3", "").verdict, Verdict::NotEquivalent);
    assert_eq!(ask("x = 83/8", "x ≈ 10.3", "").verdict, Verdict::NotEquivalent);
    let slip = |from, to, options| ask(from, to, options).slip.map_or("", |slip| slip.id.as_str());
    assert_eq!(slip("3(x+4)", "3x+4", ""), "second-term-not-multiplied");
    assert_eq!(slip("-2x < 6", "x < -3", ""), "sign-not-turned");
    assert_eq!(slip("0.05 m", "50 cm", "quantities"), "wrong-power-of-ten");
    for (from, to) in [("sqrt(-4)", "2"), ("1/0", "5"), ("sqrt(x-2)+sqrt(1-x)", "7")] {
        let found = ask(from, to, "");
        assert_eq!(found.verdict.name(), "not_equivalent", "{from} -> {to}");
        assert!(found.counterexample.is_none(), "{from} and {to} are never both defined");
    }
    // Squared away and taken again: each step is fine where it is defined, the whole is not.
    assert_eq!(ask("ln(x^2)", "2 ln x", "").domain.as_deref(), Some("x > 0"));
}

#[test]
fn every_form_has_a_name_that_reads_back() {
    for name in [
        "lowest_terms",
        "mixed_number",
        "improper_fraction",
        "decimal:2",
        "significant:3",
        "standard_form",
        "percent",
        "simplified_radical",
        "rationalised",
        "expanded",
        "factorised",
        "single_power",
        "exact",
        "solved_for:x",
        "all_solutions",
        "unit:cm",
        "unit",
        "sentence",
        "choice",
        "any",
    ] {
        let form = algebra::form::Form::named(name).unwrap_or_else(|| panic!("{name}"));
        assert_eq!(form.name(), name);
    }
    for role in [
        "starts",
        "follows",
        "may_add",
        "splits",
        "defines",
        "checks",
        "rejects",
        "rounds",
        "concludes",
    ] {
        use algebra::Role;
        let all = [
            Role::Starts,
            Role::Follows,
            Role::MayAdd,
            Role::Splits,
            Role::Defines,
            Role::Checks,
            Role::Rejects,
            Role::Rounds,
            Role::Concludes,
        ];
        assert!(all.iter().any(|one| one.name() == role), "{role}");
    }
}
