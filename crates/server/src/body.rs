//! A JSON body; what is no such thing gets a clear sentence.

use crate::error::{ApiError, FailureKind};
use axum::Json;
use axum::extract::rejection::JsonRejection;
use axum::extract::{FromRequest, Request};
use axum::http::StatusCode;
use serde::de::DeserializeOwned;

/// A JSON body of type `T`.
pub struct Body<T>(pub T);

impl<S: Send + Sync, T: DeserializeOwned> FromRequest<S> for Body<T> {
    type Rejection = ApiError;

    async fn from_request(request: Request, state: &S) -> Result<Self, ApiError> {
        match Json::<T>::from_request(request, state).await {
            Ok(Json(value)) => Ok(Self(value)),
            Err(rejection) if rejection.status() == StatusCode::PAYLOAD_TOO_LARGE => {
                let says = "This is too large to be sent. Please split it.";
                Err(ApiError::new(StatusCode::PAYLOAD_TOO_LARGE, FailureKind::TooLarge, says))
            }
            Err(rejection @ JsonRejection::MissingJsonContentType(_)) => Err(ApiError::new(
                rejection.status(),
                FailureKind::Bad,
                "This must be sent as JSON.",
            )),
            Err(rejection) => {
                tracing::debug!("{rejection}");
                Err(ApiError::bad("This does not have the shape that was expected."))
            }
        }
    }
}
