//! Runs Typst on one template and one JSON value.
//!
//! Every compile runs on a thread of its own with a large stack, because deep nesting would overflow a
//! small one; file names are a fixed set, because they are interned for ever; caches are trimmed after
//! every document.

use serde_json::Value;
use std::collections::HashMap;
use std::sync::LazyLock;
use typst::diag::{FileError, FileResult};
use typst::foundations::{Bytes, Datetime, Duration};
use typst::syntax::{FileId, RootedPath, Source, VirtualPath, VirtualRoot};
use typst::text::{Font, FontBook};
use typst::utils::LazyHash;
use typst::{Library, LibraryExt, World};
use typst_kit::fonts::FontStore;
use typst_layout::PagedDocument;
use typst_pdf::{PdfOptions, PdfStandard, PdfStandards};

const STACK_BYTES: usize = 32 << 20;
const SANS: [&[u8]; 2] = [
    include_bytes!("../fonts/atkinson-hyperlegible-next-400.ttf"),
    include_bytes!("../fonts/atkinson-hyperlegible-next-700.ttf"),
];

static FONTS: LazyLock<FontStore> = LazyLock::new(|| {
    let mut store = FontStore::new();
    for data in SANS {
        let fonts = Font::iter(Bytes::new(data));
        store.extend(fonts.map(|font| {
            let info = font.info().clone();
            (font, info)
        }));
    }
    store.extend(typst_kit::fonts::embedded());
    store
});
static LIBRARY: LazyLock<LazyHash<Library>> = LazyLock::new(|| LazyHash::new(Library::default()));
static DATA: LazyLock<FileId> = LazyLock::new(|| id("/data.json"));

/// The templates, compiled in.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Hash)]
pub(crate) enum Template {
    /// Problems with room to work.
    Ladder,
    /// Answers, with or without every working.
    Key,
    /// One working, as a picture.
    Working,
}

impl Template {
    const ALL: [(Self, &'static str, &'static str); 3] = [
        (Self::Ladder, "/ladder.typ", include_str!("../templates/ladder.typ")),
        (Self::Key, "/key.typ", include_str!("../templates/key.typ")),
        (Self::Working, "/working.typ", include_str!("../templates/working.typ")),
    ];
}

static SOURCES: LazyLock<HashMap<FileId, Source>> = LazyLock::new(|| {
    let common = ("/common.typ", include_str!("../templates/common.typ"));
    let named = Template::ALL.iter().map(|(_, name, text)| (*name, *text)).chain([common]);
    named.map(|(name, text)| (id(name), Source::new(id(name), text.to_owned()))).collect()
});

/// Interned for ever: called with a fixed set of names only.
fn id(name: &str) -> FileId {
    RootedPath::new(VirtualRoot::Project, VirtualPath::new(name).expect("a fixed name")).intern()
}

/// One document being made.
struct Job {
    main: FileId,
    data: Bytes,
}

impl World for Job {
    fn library(&self) -> &LazyHash<Library> {
        &LIBRARY
    }

    fn book(&self) -> &LazyHash<FontBook> {
        FONTS.book()
    }

    fn main(&self) -> FileId {
        self.main
    }

    fn source(&self, id: FileId) -> FileResult<Source> {
        SOURCES.get(&id).cloned().ok_or(FileError::AccessDenied)
    }

    fn file(&self, id: FileId) -> FileResult<Bytes> {
        if id == *DATA { Ok(self.data.clone()) } else { Err(FileError::AccessDenied) }
    }

    fn font(&self, index: usize) -> Option<Font> {
        FONTS.font(index)
    }

    /// The same sheet tomorrow: dates come in as data.
    fn today(&self, _offset: Option<Duration>) -> Option<Datetime> {
        None
    }
}

/// Which accessibility the file was made to.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub enum Standard {
    /// PDF/UA-1, checked.
    Ua1,
    /// Tagged, but not checked: a character had no glyph, or the like.
    Tagged,
}

/// A finished document.
#[derive(Debug, Clone)]
pub struct Pdf {
    /// The file.
    pub bytes: Vec<u8>,
    /// What it was made to.
    pub standard: Standard,
}

/// A document could not be made: a mistake in a template, never in what people typed.
#[derive(Debug, thiserror::Error)]
#[error("the sheet could not be typeset: {0}")]
pub struct PaperError(String);

/// Makes a PDF from a template and its data.
///
/// # Errors
/// [`PaperError`] when the template fails on the data.
pub(crate) fn pdf(template: Template, data: &Value) -> Result<Pdf, PaperError> {
    on_large_stack(template, data, as_pdf)
}

/// Makes an SVG picture of all pages; its letters are drawn as outlines, so it looks alike everywhere.
///
/// # Errors
/// As [`pdf`].
pub(crate) fn svg(template: Template, data: &Value) -> Result<String, PaperError> {
    on_large_stack(template, data, |document| {
        let gap = typst::layout::Abs::pt(0.0);
        Ok(typst_svg::svg_merged(document, &typst_svg::SvgOptions::default(), gap))
    })
}

fn on_large_stack<T: Send + 'static>(
    template: Template,
    data: &Value,
    write: impl FnOnce(&PagedDocument) -> Result<T, PaperError> + Send + 'static,
) -> Result<T, PaperError> {
    let name = Template::ALL.iter().find(|entry| entry.0 == template).map_or("", |entry| entry.1);
    let job = Job { main: id(name), data: Bytes::new(data.to_string().into_bytes()) };
    let made = std::thread::Builder::new()
        .name("paper".into())
        .stack_size(STACK_BYTES)
        .spawn(move || {
            let document = typst::compile::<PagedDocument>(&job).output.map_err(said)?;
            let made = write(&document);
            comemo::evict(10);
            made
        })
        .map_err(|error| PaperError(error.to_string()))?;
    made.join().map_err(|_| PaperError("the typesetter stopped".into()))?
}

fn said(errors: typst::ecow::EcoVec<typst::diag::SourceDiagnostic>) -> PaperError {
    let all: Vec<_> = errors.iter().map(|error| error.message.to_string()).collect();
    PaperError(all.join("; "))
}

fn as_pdf(document: &PagedDocument) -> Result<Pdf, PaperError> {
    let options = |standards| PdfOptions { standards, ..PdfOptions::default() };
    let strict = PdfStandards::new(&[PdfStandard::Ua_1])
        .ok()
        .and_then(|standards| typst_pdf::pdf(document, &options(standards)).ok());
    match strict {
        Some(bytes) => Ok(Pdf { bytes, standard: Standard::Ua1 }),
        None => typst_pdf::pdf(document, &options(PdfStandards::default()))
            .map(|bytes| Pdf { bytes, standard: Standard::Tagged })
            .map_err(said),
    }
}
