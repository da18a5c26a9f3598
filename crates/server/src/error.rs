//! What a route answers when it cannot do what was asked: one status, one sentence that says what to do.

use axum::Json;
use axum::http::StatusCode;
use axum::http::header::RETRY_AFTER;
use axum::response::{IntoResponse, Response};
use serde::{Deserialize, Serialize};
use store::StoreError;
use utoipa::ToSchema;

/// A failure, as the browser gets it.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct Failure {
    /// What kind it is.
    pub kind: FailureKind,
    /// One sentence that says what to do.
    pub says: String,
    /// For an unreadable line: first character and one past the last.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub at: Option<(usize, usize)>,
    /// For an unreadable line: the whole line as it would be after a mend.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub mended: Option<String>,
    /// For a body that does not fit: the place in its JSON, as `lesson.slides[2].title`.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub place: Option<String>,
    /// For a stale save: the revision that stands.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub revision: Option<u32>,
}

/// Kinds of failure.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum FailureKind {
    /// Nobody is signed in.
    SignIn,
    /// There is none, or it is somebody else's.
    NotFound,
    /// Somebody saved in between.
    Stale,
    /// What was sent cannot be kept or worked.
    Bad,
    /// Too large.
    TooLarge,
    /// It took too long.
    TooSlow,
    /// Too much is asked at once; it is told when to come again.
    Busy,
    /// Tried too often.
    TooOften,
    /// Somebody has that name already.
    Taken,
    /// Our own mistake.
    Internal,
}

/// A failure with its status.
#[derive(Debug)]
pub struct ApiError {
    status: StatusCode,
    failure: Box<Failure>,
    /// In how many seconds it may be tried again.
    again: Option<u32>,
}

impl ApiError {
    pub(crate) fn new(status: StatusCode, kind: FailureKind, says: impl Into<String>) -> Self {
        let failure = Failure {
            kind,
            says: says.into(),
            at: None,
            mended: None,
            place: None,
            revision: None,
        };
        Self { status, failure: Box::new(failure), again: None }
    }

    pub(crate) fn bad(says: impl Into<String>) -> Self {
        Self::new(StatusCode::UNPROCESSABLE_ENTITY, FailureKind::Bad, says)
    }

    pub(crate) fn sign_in(says: &str) -> Self {
        Self::new(StatusCode::UNAUTHORIZED, FailureKind::SignIn, says)
    }

    pub(crate) fn not_found(says: &str) -> Self {
        Self::new(StatusCode::NOT_FOUND, FailureKind::NotFound, says)
    }

    /// Too much is asked at once: the page tries it again by itself after so many seconds.
    pub(crate) fn busy(seconds: u32) -> Self {
        let says = "Many are working here just now. This is tried again in a moment.";
        let busy = Self::new(StatusCode::SERVICE_UNAVAILABLE, FailureKind::Busy, says);
        Self { again: Some(seconds), ..busy }
    }

    /// Somebody has that name.
    pub(crate) fn taken(says: &str) -> Self {
        Self::new(StatusCode::CONFLICT, FailureKind::Taken, says)
    }

    /// Tried too often: there is to be a pause of so many seconds.
    pub(crate) fn too_often(says: impl Into<String>, seconds: u32) -> Self {
        let refused = Self::new(StatusCode::TOO_MANY_REQUESTS, FailureKind::TooOften, says);
        Self { again: Some(seconds), ..refused }
    }

    pub(crate) fn internal(cause: &dyn std::fmt::Display) -> Self {
        tracing::error!("{cause}");
        let says = "Something went wrong here. Nothing was changed; please try again.";
        Self::new(StatusCode::INTERNAL_SERVER_ERROR, FailureKind::Internal, says)
    }

    /// With the place in the JSON where it breaks.
    pub(crate) fn at_place(mut self, place: String) -> Self {
        self.failure.place = Some(place);
        self
    }

    /// Its status.
    #[cfg(test)]
    pub(crate) const fn status(&self) -> StatusCode {
        self.status
    }

    /// What the browser gets.
    #[cfg(test)]
    pub(crate) const fn failure(&self) -> &Failure {
        &self.failure
    }

    /// A line that cannot be worked: with its place when it could not be read.
    pub(crate) fn no_working(text: &str, why: &skills::typed::NoWorking) -> Self {
        let mut error = Self::bad(why.says.clone());
        error.failure.at = why.at.map(|(start, end)| {
            teaching::reading::characters(text, algebra::Span::new(start, end))
        });
        error.failure.mended = why.mend.as_ref().and_then(|mend| mend.applied(text));
        error
    }
}

/// `a minute`, `12 minutes`.
fn in_words(seconds: u32) -> String {
    match seconds.div_ceil(60) {
        0 | 1 => "a minute".into(),
        minutes => format!("{minutes} minutes"),
    }
}

impl From<StoreError> for ApiError {
    fn from(error: StoreError) -> Self {
        match error {
            StoreError::NotFound => Self::not_found("This is not here, or it is not yours."),
            StoreError::Stale { revision } => {
                let says = "This was changed in another window in the meantime.";
                let mut error = Self::new(StatusCode::CONFLICT, FailureKind::Stale, says);
                error.failure.revision = Some(revision);
                error
            }
            StoreError::NoSuchPage => {
                Self::bad("There is no such page of this list. Load it anew.")
            }
            StoreError::Taken => Self::taken("This name is taken already. Choose another one."),
            StoreError::TooOften { seconds } => Self::too_often(
                format!("This was tried too often. Try it again in {}.", in_words(seconds)),
                seconds,
            ),
            StoreError::Full => Self::bad("There is no room for one more here."),
            other => Self::internal(&other),
        }
    }
}

impl IntoResponse for ApiError {
    fn into_response(self) -> Response {
        let answer = (self.status, Json(*self.failure));
        match self.again {
            Some(seconds) => ([(RETRY_AFTER, seconds.to_string())], answer).into_response(),
            None => answer.into_response(),
        }
    }
}
