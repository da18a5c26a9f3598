//! Routes, one file per thing they are about.

pub(crate) mod accounts;
pub(crate) mod administer;
pub(crate) mod assignments;
pub(crate) mod bench;
pub(crate) mod classes;
pub(crate) mod desk_pictures;
pub(crate) mod desks;
pub(crate) mod examples;
pub(crate) mod history;
pub(crate) mod images;
pub(crate) mod join;
pub(crate) mod ladders;
pub(crate) mod lessons;
pub(crate) mod live;
pub(crate) mod results;
pub(crate) mod scenarios;
pub(crate) mod second_look;
pub(crate) mod sharing;
pub(crate) mod shelf;
pub(crate) mod sign_in;
pub(crate) mod skills;
pub(crate) mod students;

use crate::error::ApiError;
use crate::guard;
use axum::http::HeaderMap;

/// Answers what is asked of an address in a way that it does not know.
pub(crate) async fn not_in_this_way() -> ApiError {
    let says = "This cannot be done at this address.";
    ApiError::new(axum::http::StatusCode::METHOD_NOT_ALLOWED, crate::error::FailureKind::Bad, says)
}

/// Answers every address of the API that is none.
pub(crate) async fn nothing_here() -> ApiError {
    ApiError::not_found("There is nothing at this address.")
}

/// Lets only a page of this site listen: a browser tells which page opens a socket, and asks nobody whether it may.
pub(crate) fn own_page(headers: &HeaderMap) -> Result<(), ApiError> {
    if guard::is_ours(headers) {
        return Ok(());
    }
    let says = "This was asked from another page. Open Honey Ladder itself and try again.";
    let status = axum::http::StatusCode::FORBIDDEN;
    Err(ApiError::new(status, crate::error::FailureKind::Bad, says))
}

/// What listens has to ask for a socket.
pub(crate) fn no_socket() -> ApiError {
    ApiError::bad("This address is listened to. Open the lesson in its own window.")
}
