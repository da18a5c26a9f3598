//! The ladder bench: a ladder while it is being made.

use crate::app::App;
use crate::error::{ApiError, Failure};
use crate::extract::{Body, Path};
use crate::routes::ladders::RungView;
use crate::session::SignedIn;
use axum::Json;
use axum::extract::State;
use lesson::Lesson;
use lesson::bench::{Change, Plan, Refused, change};
use serde::{Deserialize, Serialize};
use skills::ladder::LadderOrder;
use store::{LessonId, StoreError, TeacherId};
use teaching::numerals::numbers_of;
use utoipa::ToSchema;
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

/// Rungs of each stage on a bench on which nothing was begun.
const RUNGS: usize = 3;

pub(crate) fn router() -> OpenApiRouter<App> {
    OpenApiRouter::new()
        .routes(routes!(open_bench, save_bench))
        .routes(routes!(open_shelf_bench, save_shelf_bench))
        .routes(routes!(change_bench))
}

/// A rung as it lies on the bench.
#[derive(Serialize, ToSchema)]
struct BenchRung {
    /// Its key, which stays the same while it is moved and changed.
    key: u32,
    locked: bool,
    /// Whether it stands in the teacher's own words.
    worded: bool,
    /// Whether its problem was typed by hand.
    typed: bool,
    /// The numbers of its prompt, in their order.
    numbers: Vec<String>,
    #[serde(flatten)]
    view: RungView,
}

/// What lies on the bench.
#[derive(Serialize, ToSchema)]
pub(crate) struct BenchMade {
    plan: Plan,
    rungs: Vec<BenchRung>,
}

/// The bench of a lesson, opened.
#[derive(Serialize, ToSchema)]
struct BenchView {
    /// What a save must be based on.
    revision: u32,
    #[serde(flatten)]
    made: BenchMade,
}

/// A draft to be kept.
#[derive(Deserialize, ToSchema)]
struct ChangedBench {
    /// The revision that was changed.
    based_on: u32,
    plan: Plan,
}

/// The revision that a draft has now.
#[derive(Serialize, ToSchema)]
struct Kept {
    revision: u32,
}

/// A change to be made.
#[derive(Deserialize, ToSchema)]
struct AskedChange {
    plan: Plan,
    change: Change,
}

impl From<Refused> for ApiError {
    fn from(refused: Refused) -> Self {
        Self::bad(refused.says)
    }
}

pub(crate) fn made(plan: Plan) -> Result<BenchMade, Refused> {
    let rungs = plan.made()?;
    let lying = plan.rungs.iter().zip(rungs).enumerate().map(|(index, (placed, rung))| BenchRung {
        key: placed.key,
        locked: placed.locked,
        worded: placed.wording.is_some(),
        typed: placed.is_typed(),
        numbers: numbers_of(&rung.prompt),
        view: RungView::of(index, rung).because(placed.why.clone()),
    });
    Ok(BenchMade { rungs: lying.collect(), plan })
}

/// A bench on which nothing was begun: with a ladder of the skills of its lesson, where it has any.
fn fresh(lesson: Option<&Lesson>, seed: u64) -> Plan {
    let order = LadderOrder {
        skills: lesson.and_then(Lesson::skill).into_iter().collect(),
        grip: RUNGS,
        tilt: RUNGS,
        climb: RUNGS,
        seed,
        ..LadderOrder::default()
    };
    let empty = Plan::new(order.clone());
    change(&empty, &Change::Draw { order }).unwrap_or(empty)
}

/// Whose bench it is: that of the lesson's owner, or one's own.
pub(crate) async fn owner(
    app: &App,
    teacher: SignedIn,
    lesson: Option<LessonId>,
) -> Result<TeacherId, StoreError> {
    match lesson {
        Some(lesson) => app.editor(teacher, lesson).await,
        None => Ok(teacher.0),
    }
}

async fn opened(
    app: App,
    teacher: SignedIn,
    lesson: Option<LessonId>,
) -> Result<Json<BenchView>, ApiError> {
    let owner = owner(&app, teacher, lesson).await?;
    let kept = store::bench::find(&app.db, owner, lesson).await?;
    let about = match (&kept, lesson) {
        (None, Some(lesson)) => Some(store::lesson::find(&app.db, owner, lesson).await?.lesson),
        _ => None,
    };
    let seed = lesson.map_or(teacher.0.0, |lesson| lesson.0);
    let (revision, plan) = kept.map_or((0, None), |kept| (kept.revision, Some(kept.plan)));
    let made = move || made(plan.clone().unwrap_or_else(|| fresh(about.as_ref(), seed)));
    let made = app.make(teacher, made).await??;
    Ok(Json(BenchView { revision, made }))
}

async fn kept(
    app: App,
    teacher: SignedIn,
    lesson: Option<LessonId>,
    changed: ChangedBench,
) -> Result<Json<Kept>, ApiError> {
    let ChangedBench { based_on, plan } = changed;
    if plan.title.chars().count() > super::ladders::LONGEST_TITLE {
        return Err(ApiError::bad("Give the ladder a title of at most 120 characters."));
    }
    // What cannot be made is not kept either.
    let made = move || plan.made().map(|_| plan.clone());
    let plan = app.make(teacher, made).await??;
    let owner = owner(&app, teacher, lesson).await?;
    let revision = store::bench::save(&app.db, owner, lesson, based_on, &plan).await?;
    Ok(Json(Kept { revision }))
}

/// The draft of a lesson's ladder, or a bench on which nothing was begun.
#[utoipa::path(get, path = "/api/lessons/{id}/bench", params(("id" = u64, Path)),
    responses((status = 200, body = BenchView), (status = "default", body = Failure)))]
async fn open_bench(
    State(app): State<App>,
    teacher: SignedIn,
    Path(lesson): Path<LessonId>,
) -> Result<Json<BenchView>, ApiError> {
    opened(app, teacher, Some(lesson)).await
}

/// Keeps the draft of a lesson's ladder.
#[utoipa::path(put, path = "/api/lessons/{id}/bench", params(("id" = u64, Path)),
    request_body = ChangedBench,
    responses((status = 200, body = Kept), (status = "default", body = Failure)))]
async fn save_bench(
    State(app): State<App>,
    teacher: SignedIn,
    Path(lesson): Path<LessonId>,
    Body(changed): Body<ChangedBench>,
) -> Result<Json<Kept>, ApiError> {
    kept(app, teacher, Some(lesson), changed).await
}

/// The draft of the ladder that hangs on no lesson, or an empty bench.
#[utoipa::path(get, path = "/api/bench",
    responses((status = 200, body = BenchView), (status = "default", body = Failure)))]
async fn open_shelf_bench(
    State(app): State<App>,
    teacher: SignedIn,
) -> Result<Json<BenchView>, ApiError> {
    opened(app, teacher, None).await
}

/// Keeps the draft of the ladder that hangs on no lesson.
#[utoipa::path(put, path = "/api/bench", request_body = ChangedBench,
    responses((status = 200, body = Kept), (status = "default", body = Failure)))]
async fn save_shelf_bench(
    State(app): State<App>,
    teacher: SignedIn,
    Body(changed): Body<ChangedBench>,
) -> Result<Json<Kept>, ApiError> {
    kept(app, teacher, None, changed).await
}

/// Makes one change on the bench; it is kept only when it is saved.
#[utoipa::path(post, path = "/api/bench/change", request_body = AskedChange,
    responses((status = 200, body = BenchMade), (status = "default", body = Failure)))]
async fn change_bench(
    State(app): State<App>,
    teacher: SignedIn,
    Body(asked): Body<AskedChange>,
) -> Result<Json<BenchMade>, ApiError> {
    let made = move || change(&asked.plan, &asked.change).and_then(made);
    Ok(Json(app.make(teacher, made).await??))
}
