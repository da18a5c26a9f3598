//! A teacher's own scenarios: where stories come from.

use crate::app::App;
use crate::error::{ApiError, Failure};
use crate::extract::{Body, Path};
use crate::routes::shelf::Made;
use crate::session::SignedIn;
use axum::Json;
use axum::extract::State;
use axum::http::StatusCode;
use serde::{Deserialize, Serialize};
use store::ScenarioId;
use teaching::scenario::{BadScenario, OwnScenario};
use utoipa::ToSchema;
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

pub(crate) fn router() -> OpenApiRouter<App> {
    OpenApiRouter::new()
        .routes(routes!(scenarios, create_scenario))
        .routes(routes!(save_scenario, remove_scenario))
        .routes(routes!(stories_of_scenario))
}

/// A scenario of the teacher.
#[derive(Serialize, ToSchema)]
struct ScenarioEntry {
    id: ScenarioId,
    /// What a save must be based on.
    revision: u32,
    world: OwnScenario,
}

/// A changed scenario.
#[derive(Deserialize, ToSchema)]
struct ChangedScenario {
    /// The revision that was changed.
    based_on: u32,
    world: OwnScenario,
}

/// The revision that a scenario has now.
#[derive(Serialize, ToSchema)]
struct KeptScenario {
    revision: u32,
}

impl From<BadScenario> for ApiError {
    fn from(bad: BadScenario) -> Self {
        Self::bad(bad.0)
    }
}

/// Every scenario of the teacher.
#[utoipa::path(get, path = "/api/scenarios",
    responses((status = 200, body = Vec<ScenarioEntry>), (status = "default", body = Failure)))]
async fn scenarios(
    State(app): State<App>,
    teacher: SignedIn,
) -> Result<Json<Vec<ScenarioEntry>>, ApiError> {
    let kept = store::scenario::all(&app.db, teacher.0).await?;
    let entries = kept.into_iter().map(|kept| ScenarioEntry {
        id: kept.id,
        revision: kept.revision,
        world: kept.world,
    });
    Ok(Json(entries.collect()))
}

/// Keeps a new scenario.
#[utoipa::path(post, path = "/api/scenarios", request_body = OwnScenario,
    responses((status = 200, body = Made), (status = "default", body = Failure)))]
async fn create_scenario(
    State(app): State<App>,
    teacher: SignedIn,
    Body(world): Body<OwnScenario>,
) -> Result<Json<Made>, ApiError> {
    world.check()?;
    Ok(Json(Made { id: store::scenario::create(&app.db, teacher.0, &world).await?.0 }))
}

/// Saves a changed scenario. Ladders that were drawn with it stay as they are.
#[utoipa::path(put, path = "/api/scenarios/{id}", params(("id" = u64, Path)),
    request_body = ChangedScenario,
    responses((status = 200, body = KeptScenario), (status = "default", body = Failure)))]
async fn save_scenario(
    State(app): State<App>,
    teacher: SignedIn,
    Path(id): Path<ScenarioId>,
    Body(changed): Body<ChangedScenario>,
) -> Result<Json<KeptScenario>, ApiError> {
    changed.world.check()?;
    let ChangedScenario { based_on, world } = changed;
    let revision = store::scenario::save(&app.db, teacher.0, id, based_on, &world).await?;
    Ok(Json(KeptScenario { revision }))
}

/// Takes a scenario away.
#[utoipa::path(delete, path = "/api/scenarios/{id}", params(("id" = u64, Path)),
    responses((status = 204), (status = "default", body = Failure)))]
async fn remove_scenario(
    State(app): State<App>,
    teacher: SignedIn,
    Path(id): Path<ScenarioId>,
) -> Result<StatusCode, ApiError> {
    store::scenario::remove(&app.db, teacher.0, id).await?;
    Ok(StatusCode::NO_CONTENT)
}

/// A few stories that are told of a scenario, to be read before it is kept.
#[utoipa::path(post, path = "/api/scenarios/stories", request_body = OwnScenario,
    responses((status = 200, body = Vec<String>), (status = "default", body = Failure)))]
async fn stories_of_scenario(
    State(app): State<App>,
    teacher: SignedIn,
    Body(world): Body<OwnScenario>,
) -> Result<Json<Vec<String>>, ApiError> {
    world.check()?;
    Ok(Json(app.make(teacher, move || skills::ladder::samples(&world)).await?))
}
