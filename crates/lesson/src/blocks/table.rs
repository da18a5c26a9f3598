//! A table.

use super::{BlockKind, Claims, LONGEST_PART, length, plain, refuse};
use crate::{BadLesson, fits};
use serde::{Deserialize, Serialize};
use utoipa::ToSchema;

/// Most rows and columns.
const LONGEST: usize = 20;

/// A table.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct TableBlock {
    /// The heads of its columns.
    pub heads: Vec<String>,
    /// Its rows, each as long as the heads.
    pub rows: Vec<Vec<String>>,
}

impl BlockKind for TableBlock {
    fn check(&self) -> Result<(), BadLesson> {
        let sound = self.heads.len() <= LONGEST
            && self.rows.len() <= LONGEST
            && self.rows.iter().all(|row| row.len() == self.heads.len())
            && self.texts().into_iter().all(|cell| fits(cell, LONGEST_PART));
        if sound {
            Ok(())
        } else {
            refuse("A table has at most 20 rows and 20 columns, all of one length.")
        }
    }

    fn texts(&self) -> Vec<&str> {
        self.heads.iter().chain(self.rows.iter().flatten()).map(String::as_str).collect()
    }

    fn texts_mut(&mut self) -> Vec<&mut String> {
        self.heads.iter_mut().chain(self.rows.iter_mut().flatten()).collect()
    }

    fn spoken(&self, _step: u16) -> String {
        plain(&self.heads.join(", "))
    }

    fn claims(&self) -> Claims<'_> {
        Claims { statements: self.texts(), room: length(&self.texts()), ..Claims::default() }
    }
}
