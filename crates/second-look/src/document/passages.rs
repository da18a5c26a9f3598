//! A text in CommonMark as a row of passages, each with its line.

use pulldown_cmark::{Event, HeadingLevel, Options, Parser, Tag, TagEnd};

/// Deepest nesting of lists that is told apart.
const DEEPEST: usize = 12;

/// One line of a paragraph, a heading, an item of a list or a cell of a table.
#[derive(Debug, Clone, PartialEq, Eq)]
pub(super) struct Passage {
    /// Its line, from 1.
    pub line: usize,
    /// The paragraph it belongs to: lines of one paragraph have the same.
    pub block: usize,
    /// What it is.
    pub kind: PassageKind,
    /// Its words; mathematics stands between dollar signs.
    pub text: String,
    /// The words at its start that are set off, and so perhaps defined.
    pub set_off: Option<String>,
}

/// What a passage is.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub(super) enum PassageKind {
    /// A heading.
    Heading {
        /// Its level, from 1.
        level: u8,
    },
    /// A line of a paragraph.
    Prose,
    /// A line of an item.
    Item {
        /// Its number, in a list that has numbers.
        number: Option<u64>,
    },
    /// A cell of a table.
    Cell {
        /// Its row, 0 for the head.
        row: usize,
        /// Its column, from 0.
        column: usize,
    },
    /// A picture, with what is told of it.
    Picture,
    /// HTML, as it stands.
    Html,
}

/// The passages of a text.
pub(super) fn passages(text: &str) -> Vec<Passage> {
    let options = Options::ENABLE_MATH | Options::ENABLE_TABLES;
    let mut reader = Reader {
        lines: std::iter::once(0).chain(text.match_indices('\n').map(|(at, _)| at + 1)).collect(),
        ..Reader::default()
    };
    for (event, range) in Parser::new_ext(text, options).into_offset_iter() {
        reader.take(text, event, range.start, range.end);
    }
    reader.flush();
    reader.found
}

#[derive(Default)]
struct Reader {
    /// Where each line begins, in bytes.
    lines: Vec<usize>,
    found: Vec<Passage>,
    block: usize,
    heading: Option<u8>,
    /// The number of the item of each list that is open.
    items: Vec<Option<u64>>,
    cell: Option<(usize, usize)>,
    text: String,
    line: usize,
    set_off: Option<String>,
    /// What is told of the picture that is open, and its line.
    picture: Option<(String, usize)>,
    in_code: bool,
    /// Where the words that are set off begin in `text`.
    strong: Option<usize>,
}

impl Reader {
    fn line_at(&self, at: usize) -> usize {
        self.lines.partition_point(|&start| start <= at)
    }

    fn kind(&self) -> PassageKind {
        if let Some(level) = self.heading {
            return PassageKind::Heading { level };
        }
        if let Some((row, column)) = self.cell {
            return PassageKind::Cell { row, column };
        }
        match self.items.last() {
            Some(number) => PassageKind::Item { number: *number },
            None => PassageKind::Prose,
        }
    }

    /// What was read becomes a passage.
    fn flush(&mut self) {
        let text = std::mem::take(&mut self.text);
        let set_off = self.set_off.take();
        if !text.trim().is_empty() {
            let text = text.trim().to_owned();
            self.found.push(Passage {
                line: self.line,
                block: self.block,
                kind: self.kind(),
                text,
                set_off,
            });
        }
    }

    fn push(&mut self, text: &str, at: usize) {
        if let Some((told, _)) = &mut self.picture {
            told.push_str(text);
            return;
        }
        if self.text.is_empty() {
            self.line = self.line_at(at);
        }
        self.text.push_str(text);
    }

    fn begin(&mut self) {
        self.flush();
        self.block += 1;
    }

    fn take(&mut self, source: &str, event: Event<'_>, from: usize, to: usize) {
        match event {
            Event::Text(text) if !self.in_code => self.push(&text, from),
            Event::Code(text) => self.push(&text, from),
            Event::InlineMath(math) | Event::DisplayMath(math) => {
                self.push(&format!("${}$", math.trim()), from);
            }
            Event::SoftBreak | Event::HardBreak if self.picture.is_none() => self.flush(),
            Event::Html(html) | Event::InlineHtml(html) => {
                let line = self.line_at(from);
                let text = html.into_string();
                self.found.push(Passage {
                    line,
                    block: self.block,
                    kind: PassageKind::Html,
                    text,
                    set_off: None,
                });
            }
            Event::Start(tag) => self.start(source, tag, from, to),
            Event::End(tag) => self.end(source, tag, to),
            _ => {}
        }
    }

    fn start(&mut self, source: &str, tag: Tag<'_>, from: usize, _to: usize) {
        match tag {
            Tag::Paragraph => self.begin(),
            Tag::Heading { level, .. } => {
                self.begin();
                self.heading = Some(level_of(level));
            }
            Tag::List(first) => {
                self.flush();
                if self.items.len() < DEEPEST {
                    self.items.push(first);
                }
            }
            Tag::Item => {
                self.begin();
                // As it is written: a list that leaves a number out leaves it out on purpose.
                let digits: String =
                    source[from..].chars().take_while(char::is_ascii_digit).collect();
                if let (Some(Some(number)), Ok(written)) = (self.items.last_mut(), digits.parse()) {
                    *number = written;
                }
            }
            Tag::TableHead => self.cell = Some((0, 0)),
            Tag::TableRow => self.cell = self.cell.map(|(row, _)| (row + 1, 0)),
            Tag::TableCell => self.begin(),
            Tag::CodeBlock(_) => {
                self.begin();
                self.in_code = true;
            }
            Tag::Image { .. } => self.picture = Some((String::new(), self.line_at(from))),
            Tag::Emphasis if is_between_digits(source, from) => self.push("*", from),
            Tag::Strong | Tag::Emphasis if self.strong.is_none() => {
                self.strong = Some(self.text.len());
            }
            _ => {}
        }
    }

    fn end(&mut self, source: &str, tag: TagEnd, to: usize) {
        match tag {
            TagEnd::Paragraph | TagEnd::Item => self.flush(),
            TagEnd::Heading(_) => {
                self.flush();
                self.heading = None;
            }
            TagEnd::List(_) => {
                self.flush();
                self.items.pop();
            }
            TagEnd::TableCell => {
                self.flush();
                self.cell = self.cell.map(|(row, column)| (row, column + 1));
            }
            TagEnd::Table => self.cell = None,
            TagEnd::CodeBlock => self.in_code = false,
            TagEnd::Image => {
                if let Some((told, line)) = self.picture.take() {
                    let kind = PassageKind::Picture;
                    self.found.push(Passage {
                        line,
                        block: self.block,
                        kind,
                        text: told.trim().to_owned(),
                        set_off: None,
                    });
                }
            }
            TagEnd::Emphasis if is_between_digits(source, to.saturating_sub(1)) => {
                self.push("*", to)
            }
            TagEnd::Strong | TagEnd::Emphasis => {
                if let Some(from) = self.strong.take()
                    && let Some(words) = self.text.get(from..)
                    && self.set_off.is_none()
                {
                    self.set_off = Some(words.trim().to_owned());
                }
            }
            _ => {}
        }
    }
}

fn level_of(level: HeadingLevel) -> u8 {
    match level {
        HeadingLevel::H1 => 1,
        HeadingLevel::H2 => 2,
        HeadingLevel::H3 => 3,
        HeadingLevel::H4 => 4,
        HeadingLevel::H5 => 5,
        HeadingLevel::H6 => 6,
    }
}

/// `2*3 + 4*5`: stars between digits are signs of multiplication, whatever they are to a typesetter.
fn is_between_digits(source: &str, star: usize) -> bool {
    let is_digit = |byte: Option<&u8>| byte.is_some_and(u8::is_ascii_digit);
    let bytes = source.as_bytes();
    bytes.get(star) == Some(&b'*')
        && is_digit(star.checked_sub(1).and_then(|before| bytes.get(before)))
        && is_digit(bytes.get(star + 1))
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    #[rustfmt::skip]
    fn each_passage_has_its_line_and_its_kind() {
        let text = "# Ratio\n\nOne line\nand $2 \\times 3$ more.\n\n3. first\n4. **second**: word\n\n| a | b |\n|---|---|\n| 1 | 2 |\n\n![](x.png)\n";
        let told: Vec<(usize, PassageKind, String)> =
            passages(text).into_iter().map(|p| (p.line, p.kind, p.text)).collect();
        let one = |line: usize, kind: PassageKind, text: &str| (line, kind, text.to_owned());
        assert_eq!(told, [
            one(1, PassageKind::Heading { level: 1 }, "Ratio"),
            one(3, PassageKind::Prose, "One line"),
            one(4, PassageKind::Prose, "and $2 \\times 3$ more."),
            one(6, PassageKind::Item { number: Some(3) }, "first"),
            one(7, PassageKind::Item { number: Some(4) }, "second: word"),
            one(9, PassageKind::Cell { row: 0, column: 0 }, "a"),
            one(9, PassageKind::Cell { row: 0, column: 1 }, "b"),
            one(11, PassageKind::Cell { row: 1, column: 0 }, "1"),
            one(11, PassageKind::Cell { row: 1, column: 1 }, "2"),
            one(13, PassageKind::Picture, ""),
        ]);
    }

    #[test]
    fn stars_between_digits_multiply() {
        assert_eq!(passages("2*3 + 4*5 = 26")[0].text, "2*3 + 4*5 = 26");
        assert_eq!(passages("a *word* of 3")[0].text, "a word of 3");
    }
}
