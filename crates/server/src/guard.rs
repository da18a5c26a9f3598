//! What stands before every route: no request from another site may change anything, and every answer
//! carries the headers that keep the page to itself.

use crate::error::{ApiError, FailureKind};
use axum::extract::Request;
use axum::http::header::{
    CACHE_CONTROL, CONTENT_SECURITY_POLICY, HOST, HeaderName, ORIGIN, REFERRER_POLICY,
    X_CONTENT_TYPE_OPTIONS,
};
use axum::http::{HeaderMap, HeaderValue, Method, StatusCode};
use axum::middleware::Next;
use axum::response::{IntoResponse, Response};
use std::any::Any;
use std::time::Duration;

const POLICY: &str = "default-src 'self'; script-src 'self'; style-src 'self'; \
    style-src-attr 'unsafe-inline'; font-src 'self' data:; img-src 'self' data:; \
    object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'";

/// Refuses requests that change something and come from another site's page. The session cookie is
/// `SameSite=Lax` besides; this also covers what a browser counts as the same site.
pub(crate) async fn same_site(request: Request, next: Next) -> Response {
    if reads_only(request.method()) || is_ours(request.headers()) {
        return next.run(request).await;
    }
    let says = "This was sent from another page. Open Honey Ladder itself and try again.";
    ApiError::new(StatusCode::FORBIDDEN, FailureKind::Bad, says).into_response()
}

fn reads_only(method: &Method) -> bool {
    matches!(*method, Method::GET | Method::HEAD)
}

/// Whether the page that asks is of the host that is asked; a program without a page has no origin.
fn is_ours(headers: &HeaderMap) -> bool {
    let text = |name: HeaderName| headers.get(name).and_then(|value| value.to_str().ok());
    let host = text(HOST);
    text(ORIGIN).is_none_or(|origin| origin.split_once("://").map(|(_, from)| from) == host)
}

/// How long a request may take.
const LONGEST: Duration = Duration::from_secs(30);

/// Ends a request that takes too long.
pub(crate) async fn in_time(request: Request, next: Next) -> Response {
    match tokio::time::timeout(LONGEST, next.run(request)).await {
        Ok(response) => response,
        Err(_) => {
            let says = "This took too long, and was stopped. Try it with less at a time.";
            let status = StatusCode::GATEWAY_TIMEOUT;
            ApiError::new(status, FailureKind::TooSlow, says).into_response()
        }
    }
}

/// Answers for a request whose code fell over: our own mistake, and told as such.
pub(crate) fn fell(cause: Box<dyn Any + Send>) -> Response {
    let text = cause.downcast_ref::<String>().map(String::as_str);
    let text = text.or_else(|| cause.downcast_ref::<&str>().copied());
    ApiError::internal(&text.unwrap_or("a panic without words")).into_response()
}

/// Adds the headers.
pub(crate) async fn headers(request: Request, next: Next) -> Response {
    let path = request.uri().path();
    // Files of the front end carry their content's hash in their name.
    let cache = if path.starts_with("/assets/") {
        "public, max-age=31536000, immutable"
    } else if path.starts_with("/api/images/") {
        "private, max-age=31536000, immutable"
    } else if path.starts_with("/api/") {
        "no-store"
    } else {
        "no-cache"
    };
    let mut response = next.run(request).await;
    let headers = response.headers_mut();
    for (name, value) in [
        (CONTENT_SECURITY_POLICY, POLICY),
        (X_CONTENT_TYPE_OPTIONS, "nosniff"),
        (REFERRER_POLICY, "no-referrer"),
        (CACHE_CONTROL, cache),
    ] {
        headers.insert(name, HeaderValue::from_static(value));
    }
    response
}
