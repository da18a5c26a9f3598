//! A lesson as a file that is whole in itself: with the images on its slides and the ladders that hang on it.

use super::{BadLesson, Block, Lesson};
use crate::bench::Plan;
use serde::{Deserialize, Serialize};
use std::collections::BTreeMap;

/// Most images in a file.
pub const MOST_IMAGES: usize = 100;
/// Most ladders in a file.
pub const MOST_LADDERS: usize = 30;

/// What is saved. Images and ladders stand under the numbers by which the slides name them.
#[derive(Debug, Clone, Serialize, Deserialize)]
pub struct LessonFile {
    /// The lesson.
    pub lesson: Lesson,
    /// Its images, each in base 64.
    #[serde(default)]
    pub images: BTreeMap<u64, String>,
    /// Its ladders, as what they are made of.
    #[serde(default)]
    pub ladders: BTreeMap<u64, Plan>,
}

impl LessonFile {
    /// Reads a file. One that holds a lesson alone is taken, too.
    ///
    /// # Errors
    /// [`BadLesson`] when it is no such file, or holds more than it may.
    pub fn read(text: &str) -> Result<Self, BadLesson> {
        let file = serde_json::from_str::<Self>(text).or_else(|_| {
            let alone = |lesson| Self { lesson, images: BTreeMap::new(), ladders: BTreeMap::new() };
            serde_json::from_str::<Lesson>(text).map(alone)
        });
        let file = file.map_err(|_| {
            BadLesson(
                "This file is no lesson of Honey Ladder. Choose one that was saved from here, or a text."
                    .into(),
            )
        })?;
        if file.images.len() > MOST_IMAGES || file.ladders.len() > MOST_LADDERS {
            let says = format!(
                "A file holds at most {MOST_IMAGES} images and {MOST_LADDERS} ladders. Take some out."
            );
            return Err(BadLesson(says));
        }
        Ok(file)
    }

    /// The lesson with what it claims proved again; images and ladders that are not in the file are left out.
    ///
    /// # Errors
    /// As [`Lesson::check`], and when an example has no working.
    pub fn proved(&self) -> Result<Lesson, BadLesson> {
        let mut lesson = self.lesson.clone();
        for slide in &mut lesson.slides {
            let keeps = |block: &Block| match block {
                Block::Ladder(hung) => self.ladders.contains_key(&hung.ladder),
                Block::Image(shown) => self.images.contains_key(&shown.image),
                _ => true,
            };
            let mut comes = slide.comes.iter().copied();
            let blocks = std::mem::take(&mut slide.blocks);
            let kept: Vec<(Block, Option<u16>)> = blocks
                .into_iter()
                .map(|block| (block, comes.next()))
                .filter(|(block, _)| keeps(block))
                .collect();
            let (blocks, comes): (Vec<Block>, Vec<Option<u16>>) = kept.into_iter().unzip();
            slide.blocks = blocks;
            slide.comes = comes.into_iter().flatten().collect();
        }
        let nothing = Lesson { slides: Vec::new(), ..lesson.clone() };
        lesson.proved(&nothing)
    }
}

impl Lesson {
    /// Where one image or ladder was named, another is; those without an entry stay.
    pub fn renumber(&mut self, images: &BTreeMap<u64, u64>, ladders: &BTreeMap<u64, u64>) {
        for block in self.slides.iter_mut().flat_map(|slide| &mut slide.blocks) {
            match block {
                Block::Ladder(hung) => {
                    hung.ladder = *ladders.get(&hung.ladder).unwrap_or(&hung.ladder);
                }
                Block::Image(shown) => {
                    shown.image = *images.get(&shown.image).unwrap_or(&shown.image);
                }
                _ => {}
            }
        }
    }

    /// The images on its slides, each once.
    pub fn images(&self) -> impl Iterator<Item = u64> {
        let blocks = self.slides.iter().flat_map(|slide| &slide.blocks);
        let named = blocks.filter_map(|block| match block {
            Block::Image(shown) => Some(shown.image),
            _ => None,
        });
        named.collect::<std::collections::BTreeSet<_>>().into_iter()
    }
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::blocks::{ImageBlock, LadderBlock, TextBlock};
    use teaching::skill::Strand;

    fn file(blocks: Vec<Block>, comes: Vec<u16>) -> LessonFile {
        let mut lesson = Lesson::new("Percent", 7, Strand::FractionsRatio, 45).expect("a lesson");
        lesson.slides[0].blocks = blocks;
        lesson.slides[0].comes = comes;
        LessonFile { lesson, images: BTreeMap::new(), ladders: BTreeMap::new() }
    }
    fn image(image: u64) -> Block {
        ImageBlock { image, alt: "Bees".into(), caption: String::new() }.into()
    }

    #[test]
    fn what_the_file_does_not_hold_is_left_out() {
        let ladder = LadderBlock { ladder: 7, title: "Percent".into() }.into();
        let text = TextBlock { text: "Half of it".into() }.into();
        let mut file = file(vec![ladder, text, image(3), image(4)], vec![0, 2, 1, 3]);
        file.images.insert(4, String::new());
        let taken = file.proved().expect("taken in");
        let slide = &taken.slides[0];
        assert_eq!((slide.blocks.len(), &slide.comes[..]), (2, &[2, 3][..]));
        assert_eq!(taken.images().collect::<Vec<_>>(), [4]);
    }

    #[test]
    fn numbers_change_all_at_once() {
        let mut lesson = file(vec![image(1), image(2), image(1), image(9)], vec![]).lesson;
        lesson.renumber(&BTreeMap::from([(1, 2), (2, 3)]), &BTreeMap::new());
        let named: Vec<u64> = lesson.slides[0]
            .blocks
            .iter()
            .filter_map(|block| match block {
                Block::Image(shown) => Some(shown.image),
                _ => None,
            })
            .collect();
        assert_eq!(named, [2, 3, 2, 9]);
    }

    #[test]
    fn a_lesson_alone_and_what_is_none() {
        let whole = file(vec![image(1)], vec![]);
        for text in [serde_json::to_string(&whole), serde_json::to_string(&whole.lesson)] {
            assert_eq!(
                LessonFile::read(&text.expect("written")).expect("read").lesson,
                whole.lesson
            );
        }
        assert!(LessonFile::read("{\"title\": 3}").is_err());
        let mut many = whole;
        many.images = (0..=MOST_IMAGES as u64).map(|id| (id, String::new())).collect();
        assert!(LessonFile::read(&serde_json::to_string(&many).expect("written")).is_err());
    }
}
