//! The working bench: a worked example while it is being made. Nothing is kept here; a lesson keeps its examples.

use crate::app::App;
use crate::error::{ApiError, Failure};
use crate::extract::Body;
use crate::routes::lessons::{Drawing, drawn};
use crate::session::SignedIn;
use axum::Json;
use axum::extract::State;
use lesson::Reveal;
use lesson::example::{Beginning, Example, ExampleChange, LineOffers, SlipOffer, change};
use serde::{Deserialize, Serialize};
use skills::typed::rung::worked;
use teaching::words::capital;
use utoipa::ToSchema;
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

pub(crate) fn router() -> OpenApiRouter<App> {
    OpenApiRouter::new()
        .routes(routes!(begin_example))
        .routes(routes!(understand_problem))
        .routes(routes!(change_example))
        .routes(routes!(slips_of_example))
}

/// An example on the bench.
#[derive(Serialize, ToSchema)]
struct ExampleView {
    example: Example,
    /// What can be done with each line.
    offers: Vec<LineOffers>,
    /// Its pictures, drawn, each once.
    pictures: Vec<Drawing>,
    /// How it is revealed.
    reveal: Reveal,
}

impl From<Example> for ExampleView {
    fn from(example: Example) -> Self {
        Self {
            offers: example.offers(),
            pictures: drawn(example.figures()),
            reveal: example.reveal(),
            example,
        }
    }
}

/// A change to be made.
#[derive(Deserialize, ToSchema)]
struct AskedExampleChange {
    example: Example,
    /// None opens an example as it stands.
    #[serde(default)]
    change: Option<ExampleChange>,
}

/// The problem that is begun with, as it was typed: a place that cannot be read is a place in it.
fn typed_text(beginning: &Beginning) -> &str {
    match beginning {
        Beginning::Typed { problem, .. } => &problem.text,
        Beginning::Drawn { .. } => "",
    }
}

fn changed_text(change: Option<&ExampleChange>) -> &str {
    match change {
        Some(ExampleChange::Write { text, .. } | ExampleChange::Insert { text, .. }) => &text.text,
        _ => "",
    }
}

/// A problem as a teacher types it, in mathematics or in words.
#[derive(Deserialize, ToSchema)]
struct TypedProblem {
    problem: String,
}

/// What a typed problem is understood as, before it is worked.
#[derive(Serialize, ToSchema)]
struct Understanding {
    /// In one line, with mathematics between dollar signs.
    says: String,
    /// The skill that it belongs to, or what it is called.
    title: String,
}

/// What a typed problem is understood as.
#[utoipa::path(post, path = "/api/examples/understood", request_body = TypedProblem,
    responses((status = 200, body = Understanding), (status = "default", body = Failure)))]
async fn understand_problem(
    State(app): State<App>,
    teacher: SignedIn,
    Body(asked): Body<TypedProblem>,
) -> Result<Json<Understanding>, ApiError> {
    let found = app.make(teacher, move || {
        let found = worked(&asked.problem, None);
        found
            .map(|found| Understanding {
                says: found
                    .understood
                    .map_or(found.prompt, |says| format!("{}.", capital(&says.replace('$', "")))),
                title: found.title,
            })
            .map_err(|why| ApiError::no_working(&asked.problem, &why))
    });
    Ok(Json(found.await??))
}

/// A problem, typed or drawn, with its working.
#[utoipa::path(post, path = "/api/examples", request_body = Beginning,
    responses((status = 200, body = ExampleView), (status = "default", body = Failure)))]
async fn begin_example(
    State(app): State<App>,
    teacher: SignedIn,
    Body(asked): Body<Beginning>,
) -> Result<Json<ExampleView>, ApiError> {
    let found = app.make(teacher, move || {
        let made = asked.example().map(ExampleView::from);
        made.map_err(|why| ApiError::no_working(typed_text(&asked), &why))
    });
    Ok(Json(found.await??))
}

/// The example after a change, made again from where it comes from.
#[utoipa::path(post, path = "/api/examples/change", request_body = AskedExampleChange,
    responses((status = 200, body = ExampleView), (status = "default", body = Failure)))]
async fn change_example(
    State(app): State<App>,
    teacher: SignedIn,
    Body(asked): Body<AskedExampleChange>,
) -> Result<Json<ExampleView>, ApiError> {
    let found = app.make(teacher, move || {
        let made = match &asked.change {
            Some(asked_for) => change(&asked.example, asked_for),
            None => asked.example.again(),
        };
        made.map(ExampleView::from)
            .map_err(|why| ApiError::no_working(changed_text(asked.change.as_ref()), &why))
    });
    Ok(Json(found.await??))
}

/// The slips that can be put into an example.
#[utoipa::path(post, path = "/api/examples/slips", request_body = Example,
    responses((status = 200, body = Vec<SlipOffer>), (status = "default", body = Failure)))]
async fn slips_of_example(
    State(app): State<App>,
    teacher: SignedIn,
    Body(example): Body<Example>,
) -> Result<Json<Vec<SlipOffer>>, ApiError> {
    let found =
        app.make(teacher, move || example.slips().map_err(|why| ApiError::no_working("", &why)));
    Ok(Json(found.await??))
}
