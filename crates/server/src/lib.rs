//! The web server: routes that parse, call the core, and answer.
//!
//! What belongs here: HTTP, sign-in, who may do what, limits, and the API's description. What never
//! does: rules of the job (they are in `teaching`), SQL (it is in `store`), HTML.

mod address;
mod api;
mod app;
mod error;
mod extract;
mod guard;
mod live;
mod outbox;
pub mod password;
mod routes;
mod serve;
mod session;
mod text;
mod work;

pub use api::openapi_json;
pub use app::{App, Site};
pub use serve::serve;

use axum::Router;
use axum::extract::DefaultBodyLimit;
use std::path::Path;
use std::sync::Arc;
use tower_http::catch_panic::CatchPanicLayer;
use tower_http::compression::CompressionLayer;
use tower_http::services::{ServeDir, ServeFile};
use tower_http::trace::TraceLayer;

/// Largest request body, in bytes: a long lesson with room to spare.
pub const BODY_BYTES: usize = 2 << 20;

/// Everything the program answers: the API, and the front end's files from the folder `web`.
pub fn router(app: App, web: &Path) -> Router {
    // Any other address is one of the front end's own; of its files, what is not there is not there.
    let compressed = |files: ServeDir<_>| files.precompressed_br().precompressed_gzip();
    let index = ServeFile::new(web.join("index.html")).precompressed_br().precompressed_gzip();
    let assets = compressed(ServeDir::new(web.join("assets")));
    let files = compressed(ServeDir::new(web)).fallback(index);
    let site = Arc::clone(&app.site);
    let (api, _) = api::routes().split_for_parts();
    api.method_not_allowed_fallback(routes::not_in_this_way)
        .layer(session::layer(app.db.clone(), app.site.behind_proxy))
        .with_state(app)
        .nest_service("/assets", assets)
        .fallback_service(files)
        .layer(axum::middleware::from_fn(guard::same_site))
        .layer(axum::middleware::from_fn_with_state(Arc::clone(&site), guard::known_host))
        .layer(axum::middleware::from_fn_with_state(site, guard::headers))
        .layer(DefaultBodyLimit::max(BODY_BYTES))
        .layer(axum::middleware::from_fn(guard::few_large))
        .layer(axum::middleware::from_fn(guard::in_time))
        .layer(CompressionLayer::new())
        .layer(CatchPanicLayer::custom(guard::fell))
        .layer(TraceLayer::new_for_http())
}
