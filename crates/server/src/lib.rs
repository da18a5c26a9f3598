//! The web server: routes that parse, call the core, and answer.
//!
//! What belongs here: HTTP, sign-in, who may do what, limits, and the API's description. What never
//! does: rules of the job (they are in `teaching`), SQL (it is in `store`), HTML.

mod api;
mod app;
mod error;
mod extract;
mod guard;
pub mod password;
mod routes;
mod session;

pub use api::openapi_json;
pub use app::App;

use axum::Router;
use axum::extract::DefaultBodyLimit;
use std::path::Path;
use tower_http::catch_panic::CatchPanicLayer;
use tower_http::compression::CompressionLayer;
use tower_http::services::{ServeDir, ServeFile};
use tower_http::trace::TraceLayer;

/// Largest request body, in bytes: a long lesson with room to spare.
pub const BODY_BYTES: usize = 2 << 20;

/// Everything the program answers: the API, and the front end's files from the folder `web`.
pub fn router(app: App, web: &Path) -> Router {
    let index = ServeFile::new(web.join("index.html"));
    let files = ServeDir::new(web).fallback(index);
    let (api, _) = api::routes().split_for_parts();
    api.method_not_allowed_fallback(routes::not_in_this_way)
        .layer(session::layer(app.db.clone()))
        .with_state(app)
        .fallback_service(files)
        .layer(axum::middleware::from_fn(guard::same_site))
        .layer(axum::middleware::from_fn(guard::headers))
        .layer(DefaultBodyLimit::max(BODY_BYTES))
        .layer(axum::middleware::from_fn(guard::in_time))
        .layer(CompressionLayer::new())
        .layer(CatchPanicLayer::custom(guard::fell))
        .layer(TraceLayer::new_for_http())
}
