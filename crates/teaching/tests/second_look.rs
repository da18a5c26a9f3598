//! Seeded faults and clean texts: how many faults are found, and how many alarms are false.
//!
//! `tests/second_look/faults.txt` has a fault on each line, `clean.txt` none.

use teaching::second_look::look_at_text;

/// The lines of a list, without its remarks.
fn lines(list: &str) -> Vec<&str> {
    list.lines().filter(|line| !line.is_empty() && !line.starts_with('#')).collect()
}

#[test]
fn seeded_faults_are_found_and_named() {
    let all = lines(include_str!("second_look/faults.txt"));
    let missed: Vec<&str> = all
        .iter()
        .copied()
        .filter(|line| {
            let (text, kind) = line.rsplit_once(" | ").expect("a kind behind the bar");
            let found = look_at_text(text);
            let kinds = found.iter().map(|finding| {
                let kind = serde_json::to_value(finding.kind).expect("plain data");
                kind.as_str().expect("a word").to_owned()
            });
            !kinds.into_iter().any(|found| found == kind)
        })
        .collect();
    println!("{} of {} faults found", all.len() - missed.len(), all.len());
    assert!(missed.is_empty(), "missed: {missed:#?}");
}

#[test]
fn clean_texts_raise_no_alarm() {
    let all = lines(include_str!("second_look/clean.txt"));
    let alarms: Vec<_> = all
        .iter()
        .flat_map(|text| look_at_text(text).into_iter().map(move |finding| (*text, finding.says)))
        .collect();
    println!("{} false alarms in {} clean texts", alarms.len(), all.len());
    assert!(alarms.is_empty(), "{alarms:#?}");
}

/// A mend that is offered makes the text clean.
#[test]
fn a_mend_leaves_nothing_to_mend() {
    let mut mended = 0;
    for line in lines(include_str!("second_look/faults.txt")) {
        let (text, _) = line.rsplit_once(" | ").expect("a kind behind the bar");
        for finding in look_at_text(text) {
            let Some(mend) = finding.mend else { continue };
            let after = text.replacen(&finding.found, &mend, 1);
            assert_eq!(look_at_text(&after), [], "{text} became {after}");
            mended += 1;
        }
    }
    assert!(mended > 20, "{mended}");
}
