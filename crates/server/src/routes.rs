//! Routes, one file per thing they are about.

pub(crate) mod bench;
pub(crate) mod desks;
pub(crate) mod examples;
pub(crate) mod history;
pub(crate) mod images;
pub(crate) mod ladders;
pub(crate) mod lessons;
pub(crate) mod scenarios;
pub(crate) mod second_look;
pub(crate) mod shelf;
pub(crate) mod sign_in;
pub(crate) mod skills;

use crate::error::ApiError;

/// Answers every address of the API that is none.
pub(crate) async fn nothing_here() -> ApiError {
    ApiError::not_found("There is nothing at this address.")
}
