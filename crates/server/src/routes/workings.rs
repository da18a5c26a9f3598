//! A typed problem, worked.

use crate::app::{App, compute};
use crate::body::Body;
use crate::error::{ApiError, Failure};
use crate::session::SignedIn;
use axum::Json;
use serde::Deserialize;
use teaching::desk::DeskLine;
use teaching::typed::{TypedWorking, work_written};
use utoipa::ToSchema;
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

pub(crate) fn router() -> OpenApiRouter<App> {
    OpenApiRouter::new().routes(routes!(work))
}

/// A problem to be worked.
#[derive(Deserialize, ToSchema)]
struct Problem {
    /// As it was written.
    problem: DeskLine,
    /// The method's id; the usual one when absent.
    #[serde(default)]
    method: Option<String>,
}

/// The working of a typed problem.
#[utoipa::path(post, path = "/api/workings", request_body = Problem,
    responses((status = 200, body = TypedWorking), (status = "default", body = Failure)))]
async fn work(
    _teacher: SignedIn,
    Body(asked): Body<Problem>,
) -> Result<Json<TypedWorking>, ApiError> {
    let found = compute(move || {
        work_written(&asked.problem, asked.method.as_deref())
            .map_err(|why| ApiError::no_working(&asked.problem.text, &why))
    });
    Ok(Json(found.await??))
}
