//! Every input that the fuzz targets start from or once failed on, replayed.

#[path = "../../fuzz/targets.rs"]
mod targets;

#[test]
fn the_corpus_is_answered() {
    for file in ["typed.txt", "found.txt"] {
        let path = std::path::Path::new(env!("CARGO_MANIFEST_DIR")).join("tests/corpus").join(file);
        let text = std::fs::read_to_string(path).expect("the corpus");
        for input in text.lines() {
            assert_eq!(targets::reading(input), Ok(()), "{input:?}");
            assert_eq!(targets::checking(input), Ok(()), "{input:?}");
        }
    }
}
