//! Every route, and the description of the API that the front end's types are made from.

use crate::app::App;
use crate::routes;
use utoipa::OpenApi;
use utoipa_axum::router::OpenApiRouter;

#[derive(OpenApi)]
#[openapi(info(
    title = "Honey Ladder",
    description = "Lessons, ladders and Step Desks. Every failure is a `Failure`."
))]
struct Description;

pub(crate) fn routes() -> OpenApiRouter<App> {
    OpenApiRouter::with_openapi(Description::openapi())
        .merge(routes::sign_in::router())
        .merge(routes::accounts::router())
        .merge(routes::administer::router())
        .merge(routes::skills::router())
        .merge(routes::examples::router())
        .merge(routes::scenarios::router())
        .merge(routes::bench::router())
        .merge(routes::lessons::router())
        .merge(routes::second_look::router())
        .merge(routes::shelf::router())
        .merge(routes::history::router())
        .merge(routes::images::router())
        .merge(routes::ladders::router())
        .merge(routes::desks::router())
        .merge(routes::desk_pictures::router())
        .merge(routes::classes::router())
        .merge(routes::assignments::router())
        .merge(routes::results::router())
        .merge(routes::sharing::router())
        .merge(routes::students::router())
        .merge(routes::live::router())
        .merge(routes::join::router())
        .route("/api/{*rest}", axum::routing::any(routes::nothing_here))
}

/// The description of the API, as it stands in `web/openapi.json`.
///
/// # Errors
/// Never in practice: the description is plain data.
pub fn openapi_json() -> Result<String, serde_json::Error> {
    let (_, description) = routes().split_for_parts();
    Ok(serde_json::to_string_pretty(&description)? + "\n")
}
