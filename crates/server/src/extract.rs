//! What a request holds: its path, its query and its body. What is not as it should be gets a [`Failure`] with a
//! sentence, and with the place in the JSON where it breaks.
//!
//! [`Failure`]: crate::error::Failure

use crate::error::{ApiError, FailureKind};
use axum::body::Bytes;
use axum::extract::rejection::{PathRejection, QueryRejection};
use axum::extract::{FromRequest, FromRequestParts, Request};
use axum::http::StatusCode;
use axum::http::header::CONTENT_TYPE;
use serde::de::DeserializeOwned;

/// The parts of a path, as a tuple or a single value of type `T`.
#[derive(FromRequestParts)]
#[from_request(via(axum::extract::Path), rejection(ApiError))]
pub struct Path<T>(pub T);

/// The query of an address, of type `T`.
#[derive(FromRequestParts)]
#[from_request(via(axum::extract::Query), rejection(ApiError))]
pub struct Query<T>(pub T);

impl From<PathRejection> for ApiError {
    fn from(rejection: PathRejection) -> Self {
        tracing::debug!("{rejection}");
        Self::not_found("There is nothing at this address.")
    }
}

impl From<QueryRejection> for ApiError {
    fn from(rejection: QueryRejection) -> Self {
        tracing::debug!("{rejection}");
        Self::new(
            StatusCode::BAD_REQUEST,
            FailureKind::Bad,
            "A part of this address behind the question mark does not fit. Go back, and open it again.",
        )
    }
}

/// The bytes of a body, as they are.
pub struct Whole(pub Bytes);

impl<S: Send + Sync> FromRequest<S> for Whole {
    type Rejection = ApiError;

    async fn from_request(request: Request, state: &S) -> Result<Self, ApiError> {
        Bytes::from_request(request, state).await.map(Self).map_err(|rejection| {
            tracing::debug!("{rejection}");
            if rejection.status() == StatusCode::PAYLOAD_TOO_LARGE {
                let says = "This is too large to be sent. Please split it.";
                ApiError::new(StatusCode::PAYLOAD_TOO_LARGE, FailureKind::TooLarge, says)
            } else {
                let says = "This did not arrive whole. Send it again.";
                ApiError::new(StatusCode::BAD_REQUEST, FailureKind::Bad, says)
            }
        })
    }
}

/// A JSON body of type `T`.
pub struct Body<T>(pub T);

impl<S: Send + Sync, T: DeserializeOwned> FromRequest<S> for Body<T> {
    type Rejection = ApiError;

    async fn from_request(request: Request, state: &S) -> Result<Self, ApiError> {
        let kind = request.headers().get(CONTENT_TYPE).and_then(|kind| kind.to_str().ok());
        if !kind.is_some_and(|kind| kind.to_ascii_lowercase().starts_with("application/json")) {
            return Err(ApiError::new(
                StatusCode::UNSUPPORTED_MEDIA_TYPE,
                FailureKind::Bad,
                "This must be sent as JSON.",
            ));
        }
        let Whole(bytes) = Whole::from_request(request, state).await?;
        read(&bytes).map(Self)
    }
}

/// Longest reason why a body does not fit, in characters.
const LONGEST_REASON: usize = 200;

/// Reads JSON: what is none is told from JSON that does not fit, and that with its place.
fn read<T: DeserializeOwned>(bytes: &[u8]) -> Result<T, ApiError> {
    let mut json = serde_json::Deserializer::from_slice(bytes);
    let value = serde_path_to_error::deserialize(&mut json).map_err(|error| {
        tracing::debug!("{error}");
        if error.inner().is_data() {
            let place = error.path().to_string();
            let why = error.inner().to_string();
            let why = why.rsplit_once(" at line ").map_or(why.as_str(), |(why, _)| why);
            let why: String = why.trim_end_matches('.').chars().take(LONGEST_REASON).collect();
            ApiError::bad(format!("This does not have the shape that was expected: {why}."))
                .at_place(place)
        } else {
            let says = "This is no JSON. Send it again.";
            ApiError::new(StatusCode::BAD_REQUEST, FailureKind::Bad, says)
        }
    })?;
    match json.end() {
        Ok(()) => Ok(value),
        Err(_) => {
            let says = "More stands behind the JSON. Send it again.";
            Err(ApiError::new(StatusCode::BAD_REQUEST, FailureKind::Bad, says))
        }
    }
}

#[cfg(test)]
mod tests {
    use super::*;
    use serde::Deserialize;

    #[derive(Debug, Deserialize)]
    struct Lesson {
        #[expect(dead_code, reason = "only its place is looked at")]
        slides: Vec<Slide>,
    }

    #[derive(Debug, Deserialize)]
    struct Slide {
        #[expect(dead_code, reason = "only its place is looked at")]
        minutes: u8,
    }

    #[test]
    #[rustfmt::skip]
    fn what_does_not_fit_says_where() {
        for (json, status, place) in [
            (r#"{"slides": [{"minutes": 5}, {"minutes": "long"}]}"#, 422, Some("slides[1].minutes")),
            (r#"{"slides": [{"minutes": 300}]}"#,                    422, Some("slides[0].minutes")),
            (r#"{"slides": 3}"#,                                     422, Some("slides")),
            (r#"{"slides": [{}]}"#,                                  422, Some("slides[0]")),
            (r#"{}"#,                                                422, Some(".")),
            (r#"{"slides": ["#,                                      400, None),
            (r#"{"slides": []} and more"#,                           400, None),
            ("",                                                     400, None),
        ] {
            let refused = read::<Lesson>(json.as_bytes()).expect_err(json);
            assert_eq!(refused.status().as_u16(), status, "{json}");
            assert_eq!(refused.failure().place.as_deref(), place, "{json}");
        }
        assert!(read::<Lesson>(br#"{"slides": [{"minutes": 5}]}"#).is_ok());
    }
}
