use super::*;

#[test]
#[rustfmt::skip]
fn what_cannot_be_kept_says_why() {
    let long = || "x".repeat(4_001);
    let question = |asks| Block::from(QuestionBlock { prompt: "Why?".into(), asks });
    let choice = |text: &str| Offered { text: text.into(), right: true };
    let table = |row: &[&str]| TableBlock {
        heads: vec!["x".into(), "y".into()],
        rows: vec![row.iter().map(|cell| (*cell).to_owned()).collect()],
    };
    let link = |url: &str| LinkBlock { url: url.into(), text: "our garden".into() };
    for (block, is_fine) in [
        (TextBlock { text: "Today".into() }.into(), true),
        (TextBlock { text: long() }.into(), false),
        (question(Asks::Open { answer: String::new() }), true),
        (question(Asks::Open { answer: long() }), false),
        (question(Asks::Choice { choices: vec![choice("a"); 8] }), true),
        (question(Asks::Choice { choices: vec![choice("a"); 9] }), false),
        (table(&["1", "2"]).into(), true),
        (table(&["1"]).into(), false),
        (link("https://larkmoor.example").into(), true),
        (link("javascript:alert(1)").into(), false),
        (TalkBlock { prompt: "Why?".into(), starters: vec!["I think".into(); 9] }.into(), false),
        (WordBlock { word: "x".repeat(121), ..WordBlock::default() }.into(), false),
        (ImageBlock { image: 1, alt: "x".repeat(1_001), caption: String::new() }.into(), false),
        (LadderBlock { ladder: 1, title: "x".repeat(121) }.into(), false),
        (KeyPointBlock { point: "A ratio compares".into() }.into(), true),
        (KeyPointBlock { point: long() }.into(), false),
        (ExamplesBlock { of: "primes".into(), fits: vec!["7".into()], fits_not: vec!["9".into()] }.into(), true),
    ] {
        let block: Block = block;
        assert_eq!(block.check().is_ok(), is_fine, "{block:?}");
    }
}

#[test]
fn only_what_is_asked_has_an_answer() {
    let steps = |answer: &str| QuestionBlock::open("Why is $x = 2$?", answer).steps();
    assert_eq!((steps("Because"), steps("")), (2, 1));
    assert_eq!(TextBlock { text: "Today".into() }.steps(), 1);
    let asked = QuestionBlock::open("Why is $x = 2$?", "Since $2x = 4$.");
    assert_eq!(
        (asked.spoken(1), asked.spoken(2)),
        ("Why is x = 2?".into(), "Since 2x = 4.".into())
    );
    let right = |text: &str, right| Offered { text: text.into(), right };
    let choices = vec![right("4", false), right("$2$", true), right("two", true)];
    let chosen = QuestionBlock { prompt: "Which?".into(), asks: Asks::Choice { choices } };
    assert_eq!((chosen.steps(), chosen.answer()), (2, "2, two".into()));
}

/// What is stored is the same as it has always been.
#[test]
#[rustfmt::skip]
fn a_block_is_stored_under_the_name_of_its_kind() {
    for json in [
        r#"{"kind":"text","text":"Today"}"#,
        r#"{"kind":"question","prompt":"Why?","asks":{"by":"open","answer":""}}"#,
        r#"{"kind":"table","heads":["x"],"rows":[["1"]]}"#,
        r#"{"kind":"link","url":"https://larkmoor.example","text":"our garden"}"#,
        r#"{"kind":"ladder","ladder":7,"title":"Percent"}"#,
        r#"{"kind":"talk","prompt":"Why?","starters":["I think"]}"#,
        r#"{"kind":"word","word":"ratio","means":"how many times"}"#,
        r#"{"kind":"image","image":3,"alt":"Bees"}"#,
        r#"{"kind":"examples","of":"primes","fits":["7"],"fits_not":["9"]}"#,
        r#"{"kind":"key_point","point":"A ratio compares two amounts."}"#,
        r#"{"kind":"picture","figure":{"kind":"tally","count":7},"caption":"Seven"}"#,
    ] {
        let block: Block = serde_json::from_str(json).expect(json);
        assert_eq!(serde_json::to_string(&block).expect("written"), json);
        let mut changed = block.clone();
        changed.texts_mut().into_iter().for_each(|text| text.push_str(", in words"));
        let texts = changed.texts().len();
        assert!(texts > 0 && block.texts().len() == texts, "{json}");
        assert!(!block.spoken(1).is_empty(), "{json}");
        assert!(block.claims().room > 0, "{json}");
    }
}

fn read(json: &str) -> Block {
    serde_json::from_str(json).expect(json)
}

/// What may be false on a block, and what may not, is not the same for every kind.
#[test]
#[rustfmt::skip]
fn each_kind_says_what_has_to_be_true_of_it() {
    for (json, statements) in [
        (r#"{"kind":"text","text":"$1 + 1 = 2$"}"#,                                   &["$1 + 1 = 2$"][..]),
        (r#"{"kind":"key_point","point":"$1 + 1 = 2$"}"#,                             &["$1 + 1 = 2$"]),
        (r#"{"kind":"talk","prompt":"Is it so?","starters":["I think"]}"#,            &["Is it so?", "I think"]),
        (r#"{"kind":"word","word":"ratio","means":"how many times"}"#,                &["ratio", "how many times"]),
        (r#"{"kind":"table","heads":["x"],"rows":[["$3$"]]}"#,                        &["x", "$3$"]),
        (r#"{"kind":"picture","figure":{"kind":"tally","count":7},"caption":"7"}"#,   &["7"]),
        (r#"{"kind":"image","image":3,"alt":"$1 = 2$","caption":"Bees"}"#,            &["Bees"]),
        // A question may hold a false claim; its answer may not.
        (r#"{"kind":"question","prompt":"Is $1 = 2$?","asks":{"by":"open","answer":"No."}}"#, &["No."]),
        (r#"{"kind":"question","prompt":"$1 = 2$","asks":{"by":"true_or_false","is_true":false,"why":"$1 < 2$"}}"#, &["$1 < 2$"]),
        (r#"{"kind":"question","prompt":"Which?","asks":{"by":"choice","choices":[{"text":"$1 = 2$","right":false}]}}"#, &[]),
        // What is none only looks like one.
        (r#"{"kind":"examples","of":"true claims","fits":["$2 = 2$"],"fits_not":["$1 = 2$"]}"#, &["$2 = 2$"]),
        (r#"{"kind":"ladder","ladder":7,"title":"Percent"}"#,                         &[]),
    ] {
        assert_eq!(read(json).claims().statements, statements, "{json}");
    }
}

#[test]
#[rustfmt::skip]
fn each_kind_says_whether_it_is_practised_and_in_whose_words() {
    // practises, the teacher's own words, empty, unseen
    for (json, expected) in [
        (r#"{"kind":"text","text":"Today"}"#,                                         (false, true, false, false)),
        (r#"{"kind":"text","text":" "}"#,                                             (false, true, true, false)),
        (r#"{"kind":"key_point","point":"Keep both sides equal."}"#,                  (false, true, false, false)),
        (r#"{"kind":"key_point","point":""}"#,                                        (false, true, true, false)),
        (r#"{"kind":"talk","prompt":"","starters":[]}"#,                              (false, true, true, false)),
        (r#"{"kind":"talk","prompt":"","starters":["I think"]}"#,                     (false, true, false, false)),
        (r#"{"kind":"word","word":"ratio","means":""}"#,                              (false, false, false, false)),
        (r#"{"kind":"word","word":"","means":""}"#,                                   (false, false, true, false)),
        (r#"{"kind":"question","prompt":"Why?","asks":{"by":"open","answer":""}}"#,   (true, true, false, false)),
        (r#"{"kind":"ladder","ladder":7,"title":"Percent"}"#,                         (true, false, false, false)),
        (r#"{"kind":"link","url":"","text":""}"#,                                     (false, false, true, false)),
        (r#"{"kind":"image","image":3,"alt":"Bees"}"#,                                (false, false, false, false)),
        (r#"{"kind":"image","image":3,"alt":" "}"#,                                   (false, false, false, true)),
    ] {
        let block = read(json);
        let claims = block.claims();
        assert_eq!((claims.practises, claims.own_words, claims.is_empty, claims.is_unseen), expected, "{json}");
    }
}

#[test]
#[rustfmt::skip]
fn each_kind_is_told_to_those_who_listen_without_the_signs_around_mathematics() {
    for (json, steps, spoken, answer) in [
        (r#"{"kind":"text","text":"So $x = 2$."}"#,                                   1, "So x = 2.", ""),
        (r#"{"kind":"key_point","point":"$a + b = b + a$"}"#,                         1, "Remember: a + b = b + a", ""),
        (r#"{"kind":"word","word":"ratio","means":"$a$ to $b$"}"#,                    1, "ratio: a to b", ""),
        (r#"{"kind":"talk","prompt":"Is $x > 2$?","starters":["I think"]}"#,          1, "Is x > 2?", ""),
        (r#"{"kind":"table","heads":["$x$","$y$"],"rows":[["1","2"]]}"#,              1, "x, y", ""),
        (r#"{"kind":"link","url":"https://larkmoor.example","text":"our garden"}"#,   1, "our garden", ""),
        (r#"{"kind":"image","image":3,"alt":"","caption":"Bees"}"#,                   1, "Bees", ""),
        (r#"{"kind":"examples","of":"primes","fits":["7"],"fits_not":["9"]}"#,        1, "primes", ""),
        (r#"{"kind":"question","prompt":"Why $2$?","asks":{"by":"open","answer":"As $4 = 2 + 2$."}}"#, 2, "Why 2?", "As 4 = 2 + 2."),
        (r#"{"kind":"question","prompt":"So?","asks":{"by":"true_or_false","is_true":true,"why":"It is."}}"#, 2, "So?", "It is."),
        (r#"{"kind":"question","prompt":"Which?","asks":{"by":"choice","choices":[{"text":"$4$","right":true},{"text":"$5$","right":true}]}}"#, 2, "Which?", "4, 5"),
    ] {
        let block = read(json);
        assert_eq!((block.steps(), block.spoken(1).as_str(), block.answer().as_str()), (steps, spoken, answer), "{json}");
        assert_eq!(block.figures().len(), 0, "{json}");
        assert!(!block.comes_alone(), "{json}");
    }
}

#[test]
fn a_kind_that_is_none_is_refused() {
    for json in
        [r#"{"kind":"poem","text":"Roses"}"#, r#"{"text":"Today"}"#, r#"{"kind":"key_point"}"#]
    {
        assert!(serde_json::from_str::<Block>(json).is_err(), "{json}");
    }
}
