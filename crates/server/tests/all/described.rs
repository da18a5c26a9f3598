//! The description of the API: it is the one that the front end has, and every name in it stands for one thing.

#[test]
fn the_description_in_the_front_end_is_this_one() {
    let path = concat!(env!("CARGO_MANIFEST_DIR"), "/../../web/openapi.json");
    let now = server::openapi_json().expect("plain data");
    if std::env::var_os("HONEY_LADDER_BLESS").is_some() {
        std::fs::write(path, &now).expect("the description can be written");
    }
    let kept = std::fs::read_to_string(path).unwrap_or_default();
    assert!(kept == now, "web/openapi.json is stale: run the tests once with HONEY_LADDER_BLESS=1");
}

#[test]
fn every_operation_has_a_name_of_its_own() {
    let text = server::openapi_json().expect("plain data");
    let names: Vec<&str> = text.lines().filter(|line| line.contains("\"operationId\"")).collect();
    let different: std::collections::BTreeSet<_> = names.iter().collect();
    assert!(names.len() > 10 && names.len() == different.len(), "{names:?}");
}

/// Of two types with one name, the description would keep only one: so each of its names stands for one type.
#[test]
fn every_described_type_has_a_name_of_its_own() {
    /// Described by hand, by a macro, or under another name.
    const OTHERS: &[&str] = &[
        "AssignmentId",
        "ClassId",
        "DeskId",
        "Form",
        "LadderId",
        "LessonId",
        "LiveId",
        "MethodId",
        "ProblemWorld",
        "Role",
        "ScenarioId",
        "ShareId",
        "SlipId",
        "StudentId",
        "TeacherId",
    ];
    let crates = std::path::Path::new(env!("CARGO_MANIFEST_DIR")).join("..");
    let mut declared: Vec<String> = Vec::new();
    for folder in std::fs::read_dir(crates).expect("the crates") {
        described(&folder.expect("a crate").path().join("src"), &mut declared);
    }
    declared.sort();
    let twice: Vec<_> = declared.windows(2).filter(|pair| pair[0] == pair[1]).collect();
    assert!(twice.is_empty(), "{twice:?}");

    let text = server::openapi_json().expect("plain data");
    let described: serde_json::Value = serde_json::from_str(&text).expect("JSON");
    let schemas = described["components"]["schemas"].as_object().expect("schemas");
    let is_declared = |name: &str| {
        OTHERS.contains(&name) || declared.binary_search_by(|one| one.as_str().cmp(name)).is_ok()
    };
    let missed: Vec<_> = schemas.keys().filter(|name| !is_declared(name)).collect();
    assert!(missed.is_empty(), "where are they declared? {missed:?}");
    assert!(schemas.len() > 100, "{}", schemas.len());
}

/// The types of a folder that derive a description, however many lines the attribute has.
fn described(folder: &std::path::Path, names: &mut Vec<String>) {
    let Ok(entries) = std::fs::read_dir(folder) else { return };
    for entry in entries {
        let path = entry.expect("an entry").path();
        if path.is_dir() {
            described(&path, names);
        } else if path.extension().is_some_and(|end| end == "rs") {
            let text = std::fs::read_to_string(&path).expect("a source");
            let mut above = String::new();
            for line in text.lines().map(str::trim) {
                let mut words = line.split([' ', '(', '{', '<', ';']);
                let is_type = words.any(|word| ["struct", "enum"].contains(&word));
                if is_type && !line.starts_with("//") {
                    let name = words.next().unwrap_or_default();
                    if above.contains("ToSchema") && !name.starts_with('$') {
                        names.push(name.to_owned());
                    }
                    above.clear();
                } else if line.ends_with(['}', ';']) {
                    above.clear();
                } else {
                    above += line;
                }
            }
        }
    }
}
