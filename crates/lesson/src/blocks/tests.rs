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
