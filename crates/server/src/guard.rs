//! What stands before every route: no request from another site may change anything, and every answer
//! carries the headers that keep the page to itself.

use crate::app::Site;
use crate::error::{ApiError, FailureKind};
use axum::body::HttpBody;
use axum::extract::{Request, State};
use axum::http::header::{
    CACHE_CONTROL, CONTENT_SECURITY_POLICY, HOST, HeaderName, ORIGIN, REFERRER_POLICY,
    STRICT_TRANSPORT_SECURITY, X_CONTENT_TYPE_OPTIONS,
};
use axum::http::{HeaderMap, HeaderValue, Method, StatusCode};
use axum::middleware::Next;
use axum::response::{IntoResponse, Response};
use std::any::Any;
use std::net::IpAddr;
use std::sync::Arc;
use std::time::Duration;
use tokio::sync::Semaphore;

const POLICY: &str = "default-src 'self'; script-src 'self'; style-src 'self'; \
    style-src-attr 'unsafe-inline'; font-src 'self' data:; img-src 'self' data:; \
    connect-src 'self'; object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'";

/// What a browser offers and the page never asks for.
const PERMISSIONS: &str = "camera=(), microphone=(), geolocation=(), payment=(), usb=(), serial=(), \
    bluetooth=(), midi=(), accelerometer=(), gyroscope=(), magnetometer=(), display-capture=()";

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
pub(crate) fn is_ours(headers: &HeaderMap) -> bool {
    let text = |name: HeaderName| headers.get(name).and_then(|value| value.to_str().ok());
    let host = text(HOST);
    text(ORIGIN).is_none_or(|origin| origin.split_once("://").map(|(_, from)| from) == host)
}

/// Refuses what asks for another host: a name that somebody else points here must not open what a browser keeps for
/// this site.
pub(crate) async fn known_host(
    State(site): State<Arc<Site>>,
    request: Request,
    next: Next,
) -> Response {
    if names_us(request.headers(), &site.hosts) {
        return next.run(request).await;
    }
    let says = "This address is not one of ours. Open Honey Ladder by its own address.";
    ApiError::new(StatusCode::MISDIRECTED_REQUEST, FailureKind::Bad, says).into_response()
}

/// Whether the host is a number, this machine, or one of the names that were given.
fn names_us(headers: &HeaderMap, hosts: &[String]) -> bool {
    let Some(host) = headers.get(HOST).and_then(|host| host.to_str().ok()) else { return false };
    let name = match host.rsplit_once(':') {
        Some((name, port)) if port.bytes().all(|sign| sign.is_ascii_digit()) => name,
        _ => host,
    };
    let number = name.trim_start_matches('[').trim_end_matches(']');
    number.parse::<IpAddr>().is_ok()
        || name.eq_ignore_ascii_case("localhost")
        || hosts.iter().any(|ours| ours.eq_ignore_ascii_case(name))
}

/// How long a request may take.
const LONGEST: Duration = Duration::from_secs(30);

/// Ends a request that takes too long.
pub(crate) async fn in_time(request: Request, next: Next) -> Response {
    within(LONGEST, next.run(request)).await
}

async fn within(limit: Duration, answer: impl Future<Output = Response>) -> Response {
    match tokio::time::timeout(limit, answer).await {
        Ok(response) => response,
        Err(_) => {
            let says = "This took too long, and was stopped. Try it with less at a time.";
            let status = StatusCode::GATEWAY_TIMEOUT;
            ApiError::new(status, FailureKind::TooSlow, says).into_response()
        }
    }
}

/// A body of more bytes than this has to wait for its place.
const LARGE: u64 = 256 << 10;
/// How many large bodies are in memory at once: eight of the largest take 200 MB.
static PLACES: Semaphore = Semaphore::const_new(8);
/// How long one waits for its place.
const WAITS: Duration = Duration::from_secs(4);

/// Lets few large bodies in at a time, whoever sends them: they are held in memory before anybody's turn comes.
pub(crate) async fn few_large(request: Request, next: Next) -> Response {
    if !is_large(&request) {
        return next.run(request).await;
    }
    in_place(&PLACES, WAITS, next.run(request)).await
}

async fn in_place(
    places: &Semaphore,
    waits: Duration,
    answer: impl Future<Output = Response>,
) -> Response {
    match tokio::time::timeout(waits, places.acquire()).await {
        Ok(Ok(_place)) => answer.await,
        _ => ApiError::busy(5).into_response(),
    }
}

/// Whether a body is large, or does not say how large it is.
fn is_large(request: &Request) -> bool {
    let hint = request.body().size_hint();
    !request.body().is_end_stream() && hint.exact().is_none_or(|bytes| bytes > LARGE)
}

/// Answers for a request whose code fell over: our own mistake, and told as such.
pub(crate) fn fell(cause: Box<dyn Any + Send>) -> Response {
    let text = cause.downcast_ref::<String>().map(String::as_str);
    let text = text.or_else(|| cause.downcast_ref::<&str>().copied());
    ApiError::internal(&text.unwrap_or("a panic without words")).into_response()
}

/// Adds the headers.
pub(crate) async fn headers(
    State(site): State<Arc<Site>>,
    request: Request,
    next: Next,
) -> Response {
    let path = request.uri().path();
    let (is_asset, is_api) = (path.starts_with("/assets/"), path.starts_with("/api/"));
    let mut response = next.run(request).await;
    let is_there = response.status().is_success() || response.status() == StatusCode::NOT_MODIFIED;
    // Files of the front end carry their content's hash in their name. What is not there may come.
    let cache = match () {
        () if is_asset && is_there => "public, max-age=31536000, immutable",
        () if is_api || !is_there => "no-store",
        () => "no-cache",
    };
    let headers = response.headers_mut();
    if site.behind_proxy {
        headers.insert(STRICT_TRANSPORT_SECURITY, HeaderValue::from_static("max-age=31536000"));
    }
    for (name, value) in [
        (CONTENT_SECURITY_POLICY, POLICY),
        (X_CONTENT_TYPE_OPTIONS, "nosniff"),
        (REFERRER_POLICY, "no-referrer"),
        (CACHE_CONTROL, cache),
        (HeaderName::from_static("cross-origin-opener-policy"), "same-origin"),
        (HeaderName::from_static("cross-origin-resource-policy"), "same-origin"),
        (HeaderName::from_static("permissions-policy"), PERMISSIONS),
    ] {
        headers.insert(name, HeaderValue::from_static(value));
    }
    response
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::error::Failure;
    use axum::Router;
    use axum::body::{Body, to_bytes};
    use axum::routing::get;
    use tower::ServiceExt;
    use tower_http::catch_panic::CatchPanicLayer;

    async fn told(response: Response) -> (StatusCode, Failure) {
        let status = response.status();
        let bytes = to_bytes(response.into_body(), 10_000).await.expect("a body");
        (status, serde_json::from_slice(&bytes).expect("a failure"))
    }

    #[tokio::test]
    async fn what_takes_too_long_is_stopped_and_told() {
        let (status, failure) = told(within(Duration::ZERO, std::future::pending()).await).await;
        assert_eq!((status, failure.kind), (StatusCode::GATEWAY_TIMEOUT, FailureKind::TooSlow));
        assert!(failure.says.contains("with less at a time"), "{}", failure.says);
        let done = within(Duration::ZERO, std::future::ready(StatusCode::OK.into_response())).await;
        assert_eq!(done.status(), StatusCode::OK);
    }

    #[tokio::test]
    async fn few_large_bodies_are_held_at_a_time() {
        let places = Semaphore::new(1);
        let fine = || std::future::ready(StatusCode::OK.into_response());
        assert_eq!(in_place(&places, Duration::ZERO, fine()).await.status(), StatusCode::OK);
        let other = places.acquire().await.expect("a place");
        let full = in_place(&places, Duration::ZERO, fine()).await;
        assert_eq!(full.headers()["retry-after"], "5");
        let (status, failure) = told(full).await;
        assert_eq!((status, failure.kind), (StatusCode::SERVICE_UNAVAILABLE, FailureKind::Busy));
        drop(other);
        assert_eq!(in_place(&places, Duration::ZERO, fine()).await.status(), StatusCode::OK);
    }

    #[test]
    fn lines_of_a_student_are_no_large_body() {
        for (bytes, large) in
            [(0, false), (20_000, false), (LARGE as usize, false), (LARGE as usize + 1, true)]
        {
            let request = Request::new(Body::from(vec![b'a'; bytes]));
            assert_eq!(is_large(&request), large, "{bytes}");
        }
    }

    #[tokio::test]
    async fn what_falls_over_is_our_own_mistake_and_tells_nothing_of_the_inside() {
        async fn falls() -> StatusCode {
            panic!("the table of bees")
        }
        let router = Router::new().route("/", get(falls)).layer(CatchPanicLayer::custom(fell));
        let request = Request::builder().uri("/").body(Body::empty()).expect("a request");
        let (status, failure) = told(router.oneshot(request).await.expect("an answer")).await;
        assert_eq!(
            (status, failure.kind),
            (StatusCode::INTERNAL_SERVER_ERROR, FailureKind::Internal)
        );
        assert!(!failure.says.contains("bees"), "{}", failure.says);
    }

    #[test]
    fn only_a_page_of_ours_may_change_something() {
        for (host, origin, is_fine) in [
            ("larkmoor.example", None, true),
            ("larkmoor.example", Some("https://larkmoor.example"), true),
            ("larkmoor.example:8080", Some("http://larkmoor.example:8080"), true),
            ("larkmoor.example", Some("https://elsewhere.example"), false),
            ("larkmoor.example", Some("https://larkmoor.example.elsewhere.example"), false),
            ("larkmoor.example:8080", Some("http://larkmoor.example"), false),
            ("larkmoor.example", Some("null"), false),
            ("larkmoor.example", Some("larkmoor.example"), false),
        ] {
            let mut headers = HeaderMap::new();
            headers.insert(HOST, host.parse().expect("a host"));
            if let Some(origin) = origin {
                headers.insert(ORIGIN, origin.parse().expect("an origin"));
            }
            assert_eq!(is_ours(&headers), is_fine, "{host} from {origin:?}");
        }
    }
}
