//! Ladders: drawn, hung on a lesson, printed, and what the class wrote on them.

use crate::app::App;
use crate::error::{ApiError, Failure};
use crate::extract::{Body, Path, Query};
use crate::routes::shelf::{LONGEST_QUERY, Made};
use crate::session::SignedIn;
use crate::work::Asker;
use axum::Json;
use axum::extract::State;
use axum::http::StatusCode;
use axum::http::header::{CONTENT_DISPOSITION, CONTENT_TYPE};
use axum::response::{IntoResponse, Response};
use desk::JudgedLine;
use drawing::Scene;
use lesson::bench::{Change, Plan, Strength, Version, change, sheet};
use serde::{Deserialize, Serialize};
use skills::ladder::{Ladder, Rung};
use std::sync::Arc;
use store::ladder::KeptLadder;
use store::{DeskId, LadderId, LessonId, StoreError};
use teaching::skill::Strand;
use utoipa::{IntoParams, ToSchema};
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

/// The longest title of a ladder, in characters.
pub(crate) const LONGEST_TITLE: usize = 120;

pub(crate) fn router() -> OpenApiRouter<App> {
    OpenApiRouter::new()
        .routes(routes!(ladders_of_lesson, hang_ladder))
        .routes(routes!(all_ladders, make_ladder))
        .routes(routes!(open_ladder, remove_ladder))
        .routes(routes!(put_on_lesson))
        .routes(routes!(sheet_pdf))
        .routes(routes!(key_pdf))
        .routes(routes!(desks_of_ladder))
        .routes(routes!(set_rules))
        .routes(routes!(remove_desk))
        .routes(routes!(renew_link))
}

/// A rung with its place and its picture.
#[derive(Serialize, ToSchema)]
pub(crate) struct RungView {
    /// From 1.
    number: usize,
    rung: Rung,
    #[serde(skip_serializing_if = "Option::is_none")]
    scene: Option<Scene>,
    /// The picture of its working, grown to its end.
    #[serde(skip_serializing_if = "Option::is_none")]
    grown: Option<Scene>,
    /// Why it is there, where it was made for somebody's slips and gaps.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub(crate) why: Option<String>,
}

impl RungView {
    /// The rung at that place, counted from 0.
    pub(crate) fn of(index: usize, rung: Rung) -> Self {
        Self {
            number: index + 1,
            scene: rung.figure.as_ref().map(drawing::draw),
            grown: rung.grown().map(drawing::draw),
            rung,
            why: None,
        }
    }

    /// The same with why it is there.
    pub(crate) fn because(self, why: Option<String>) -> Self {
        Self { why, ..self }
    }
}

/// A ladder, opened.
#[derive(Serialize, ToSchema)]
struct LadderView {
    id: LadderId,
    /// The lesson that it hangs on, if it hangs on one.
    #[serde(skip_serializing_if = "Option::is_none")]
    lesson: Option<LessonId>,
    title: String,
    /// The address of its Step Desk within this site.
    desk: String,
    /// The strongest hint that students are given there, from 0 to 3.
    hints: u8,
    /// Whether an answer may stand there without a working.
    alone: bool,
    seed: u64,
    /// Whether other versions of it can be printed.
    versions: bool,
    rungs: Vec<RungView>,
}

/// A ladder as it hangs on a lesson.
#[derive(Serialize, ToSchema)]
struct LadderEntry {
    id: LadderId,
    title: String,
    desk: String,
    rungs: u16,
}

/// A ladder to be kept.
#[derive(Deserialize, ToSchema)]
pub(crate) struct NewLadder {
    title: String,
    /// What it is made of; a plan without rungs is drawn for its order.
    plan: Plan,
}

/// What a student wrote.
#[derive(Serialize, ToSchema)]
struct DeskEntry {
    id: DeskId,
    student: String,
    /// With the name, the student's way back.
    code: String,
    rungs: Vec<WrittenRung>,
}

/// What stands on one rung.
#[derive(Serialize, ToSchema)]
struct WrittenRung {
    /// The rung's number, from 1.
    number: u16,
    lines: Vec<JudgedLine>,
    /// What stands in the place for the answer.
    #[serde(skip_serializing_if = "Option::is_none")]
    answer: Option<JudgedLine>,
    /// Answered, with no line above that breaks.
    finished: bool,
    answered: bool,
}

/// What holds on a ladder's Step Desk.
#[derive(Deserialize, ToSchema)]
struct DeskRules {
    /// How strong a hint students may be given: 0 for none, up to 3.
    hints: u8,
    /// Whether an answer may stand without a working.
    alone: bool,
}

/// Which sheet of a ladder is meant.
#[derive(Deserialize, IntoParams)]
struct SheetQuery {
    /// `A` is the ladder itself; `B` and `C` have other numbers.
    #[serde(default)]
    #[param(inline)]
    version: Version,
    /// `middle` is the ladder itself; `basic` has more to get a grip on, `advanced` more to climb.
    #[serde(default)]
    #[param(inline)]
    strength: Strength,
    /// A key with every working.
    #[serde(default)]
    full: bool,
    /// A sheet with choices to pick from.
    #[serde(default)]
    choices: bool,
}

fn desk_path(link: &str) -> String {
    format!("/desk/{link}")
}

/// The rungs of a ladder, to its teacher.
pub(crate) fn views(kept: &KeptLadder) -> Vec<RungView> {
    let plan = kept.plan.as_ref().map_or(&[][..], |plan| &plan.rungs);
    let view = |(index, rung): (usize, &Rung)| {
        let why = plan.get(index).and_then(|placed| placed.why.clone());
        RungView::of(index, rung.clone()).because(why)
    };
    kept.ladder.rungs.iter().enumerate().map(view).collect()
}

/// Hangs a ladder on a lesson.
#[utoipa::path(post, path = "/api/lessons/{id}/ladders", params(("id" = u64, Path)),
    request_body = NewLadder,
    responses((status = 200, body = Made), (status = "default", body = Failure)))]
async fn hang_ladder(
    State(app): State<App>,
    teacher: SignedIn,
    Path(lesson): Path<LessonId>,
    Body(new): Body<NewLadder>,
) -> Result<Json<Made>, ApiError> {
    keep(app, teacher, Some(lesson), new).await
}

/// Makes a ladder that stands on the shelf by itself.
#[utoipa::path(post, path = "/api/ladders", request_body = NewLadder,
    responses((status = 200, body = Made), (status = "default", body = Failure)))]
async fn make_ladder(
    State(app): State<App>,
    teacher: SignedIn,
    Body(new): Body<NewLadder>,
) -> Result<Json<Made>, ApiError> {
    keep(app, teacher, None, new).await
}

impl NewLadder {
    /// Its title, what it is made of, and its problems, each made and proved.
    pub(crate) async fn made(
        self,
        app: &App,
        teacher: SignedIn,
    ) -> Result<(String, Plan, Ladder), ApiError> {
        let title = self.title.trim().to_owned();
        if title.is_empty() || title.chars().count() > LONGEST_TITLE {
            return Err(ApiError::bad("Give the ladder a title of at most 120 characters."));
        }
        let made = move || {
            let mut plan = self.plan.clone();
            if plan.rungs.is_empty() {
                plan = change(&plan, &Change::Draw { order: plan.order.clone() })?;
            }
            plan.ladder().map(|ladder| (plan, ladder))
        };
        let (plan, ladder) = app.make(teacher, made).await??;
        Ok((title, plan, ladder))
    }
}

async fn keep(
    app: App,
    teacher: SignedIn,
    lesson: Option<LessonId>,
    new: NewLadder,
) -> Result<Json<Made>, ApiError> {
    let (title, plan, ladder) = new.made(&app, teacher).await?;
    let owner = super::bench::owner(&app, teacher, lesson).await?;
    let id = store::ladder::create(&app.db, owner, lesson, &title, &ladder, Some(&plan)).await?;
    Ok(Json(Made { id: id.0 }))
}

/// Where a ladder hangs.
#[derive(Deserialize, ToSchema)]
struct HangsOn {
    /// The lesson; none for the shelf.
    #[serde(default)]
    lesson: Option<LessonId>,
}

/// Hangs a ladder on a lesson, or takes it off.
#[utoipa::path(put, path = "/api/ladders/{id}/lesson", params(("id" = u64, Path)),
    request_body = HangsOn,
    responses((status = 204), (status = "default", body = Failure)))]
async fn put_on_lesson(
    State(app): State<App>,
    teacher: SignedIn,
    Path(id): Path<LadderId>,
    Body(on): Body<HangsOn>,
) -> Result<StatusCode, ApiError> {
    store::ladder::hang(&app.db, teacher.0, id, on.lesson).await?;
    Ok(StatusCode::NO_CONTENT)
}

/// Takes a ladder away, with the desks that were joined by its own link.
#[utoipa::path(delete, path = "/api/ladders/{id}", params(("id" = u64, Path)),
    responses((status = 204), (status = "default", body = Failure)))]
async fn remove_ladder(
    State(app): State<App>,
    teacher: SignedIn,
    Path(id): Path<LadderId>,
) -> Result<StatusCode, ApiError> {
    let done = store::ladder::remove(&app.db, teacher.0, id).await;
    done.map_err(|error| match error {
        StoreError::Taken => {
            ApiError::bad("This ladder is given to a class. Take that assignment back first.")
        }
        other => other.into(),
    })?;
    Ok(StatusCode::NO_CONTENT)
}

/// The ladders that hang on a lesson.
#[utoipa::path(get, path = "/api/lessons/{id}/ladders", params(("id" = u64, Path)),
    responses((status = 200, body = Vec<LadderEntry>), (status = "default", body = Failure)))]
async fn ladders_of_lesson(
    State(app): State<App>,
    teacher: SignedIn,
    Path(lesson): Path<LessonId>,
) -> Result<Json<Vec<LadderEntry>>, ApiError> {
    let entry = |hung: store::ladder::Hung| LadderEntry {
        id: hung.id,
        title: hung.title,
        desk: desk_path(&hung.link),
        rungs: hung.rungs,
    };
    let all = store::ladder::hung(&app.db, app.editor(teacher, lesson).await?, lesson).await?;
    Ok(Json(all.into_iter().map(entry).collect()))
}

/// A ladder as it stands on the shelf.
#[derive(Serialize, ToSchema)]
struct LadderOnShelf {
    id: LadderId,
    title: String,
    /// The lesson that it hangs on, if it hangs on one.
    #[serde(skip_serializing_if = "Option::is_none")]
    lesson: Option<LessonId>,
    rungs: u16,
    /// The skills on it, by their titles.
    skills: Vec<String>,
    /// The strand of its first skill.
    #[serde(skip_serializing_if = "Option::is_none")]
    strand: Option<Strand>,
}

/// A page of ladders.
#[derive(Serialize, ToSchema)]
struct LadderPage {
    entries: Vec<LadderOnShelf>,
    /// Where the next page begins; absent on the last one.
    #[serde(skip_serializing_if = "Option::is_none")]
    next: Option<String>,
}

/// Which ladders are looked for.
#[derive(Deserialize, IntoParams)]
struct Sought {
    /// Words that their titles or those of their skills hold; all ladders when absent.
    #[serde(default)]
    words: String,
    /// Where the page before ended; the first page when absent.
    after: Option<String>,
}

impl From<store::ladder::OnShelf> for LadderOnShelf {
    fn from(on: store::ladder::OnShelf) -> Self {
        let cards: Vec<_> =
            on.skills.iter().filter_map(|id| skills::find(id)).map(|skill| skill.card()).collect();
        Self {
            id: on.id,
            title: on.title,
            lesson: on.lesson,
            rungs: on.rungs,
            skills: cards.iter().map(|card| card.title.to_owned()).collect(),
            strand: cards.first().map(|card| card.strand),
        }
    }
}

/// The ladders of the teacher, the newest first, page by page.
#[utoipa::path(get, path = "/api/ladders", params(Sought),
    responses((status = 200, body = LadderPage), (status = "default", body = Failure)))]
async fn all_ladders(
    State(app): State<App>,
    teacher: SignedIn,
    Query(sought): Query<Sought>,
) -> Result<Json<LadderPage>, ApiError> {
    if sought.words.chars().count() > LONGEST_QUERY {
        return Err(ApiError::bad("Look for at most 100 characters."));
    }
    let after = sought.after.as_deref();
    let page = store::ladder::of_teacher(&app.db, teacher.0, &sought.words, after).await?;
    let entries = page.entries.into_iter().map(LadderOnShelf::from).collect();
    Ok(Json(LadderPage { entries, next: page.next }))
}

/// Opens a ladder.
#[utoipa::path(get, path = "/api/ladders/{id}", params(("id" = u64, Path)),
    responses((status = 200, body = LadderView), (status = "default", body = Failure)))]
async fn open_ladder(
    State(app): State<App>,
    teacher: SignedIn,
    Path(id): Path<LadderId>,
) -> Result<Json<LadderView>, ApiError> {
    let owner = store::share::ladder_seen_by(&app.db, teacher.0, id).await?;
    let kept = Arc::new(store::ladder::find(&app.db, owner, id).await?);
    let shown = Arc::clone(&kept);
    let rungs = app.make(teacher, move || views(&shown)).await?;
    Ok(Json(LadderView {
        id,
        lesson: kept.lesson,
        title: kept.title.clone(),
        desk: desk_path(&kept.link),
        hints: kept.hints,
        alone: kept.alone,
        seed: kept.ladder.seed,
        versions: kept.plan.is_some(),
        rungs,
    }))
}

/// The sheet for students, as PDF.
#[utoipa::path(get, path = "/api/ladders/{id}/sheet.pdf", params(("id" = u64, Path), SheetQuery),
    responses((status = 200, content_type = "application/pdf", body = Vec<u8>),
              (status = "default", body = Failure)))]
async fn sheet_pdf(
    State(app): State<App>,
    teacher: SignedIn,
    Path(id): Path<LadderId>,
    Query(asked): Query<SheetQuery>,
) -> Result<Response, ApiError> {
    let make =
        if asked.choices { paper::sheets::ladder::choices } else { paper::sheets::ladder::sheet };
    print(app, teacher, id, &asked, "sheet", make).await
}

/// The key, as PDF.
#[utoipa::path(get, path = "/api/ladders/{id}/key.pdf", params(("id" = u64, Path), SheetQuery),
    responses((status = 200, content_type = "application/pdf", body = Vec<u8>),
              (status = "default", body = Failure)))]
async fn key_pdf(
    State(app): State<App>,
    teacher: SignedIn,
    Path(id): Path<LadderId>,
    Query(asked): Query<SheetQuery>,
) -> Result<Response, ApiError> {
    let what = if asked.full { "full-key" } else { "key" };
    let full = asked.full;
    let make = move |title: &str, ladder: &Ladder| paper::sheets::ladder::key(title, ladder, full);
    print(app, teacher, id, &asked, what, make).await
}

/// The ladder itself, or another sheet that is made of its plan.
fn asked_sheet(kept: &KeptLadder, asked: (Version, Strength)) -> Result<Ladder, ApiError> {
    if asked == (Version::A, Strength::Middle) {
        return Ok(kept.ladder.clone());
    }
    let plan = kept.plan.as_ref().ok_or_else(|| {
        ApiError::bad("Only one version of this ladder was kept. Make it again on the bench.")
    })?;
    Ok(sheet(plan, asked.0, asked.1)?)
}

/// What stands above a sheet: its title, the version, and whom it is for.
fn sheet_title(title: &str, version: Version, strength: Strength) -> String {
    let version = match version {
        Version::A => "",
        Version::B => " (B)",
        Version::C => " (C)",
    };
    // One dot more for each strength: a mark that does not tell a student where they stand.
    let strength = match strength {
        Strength::Basic => " ·",
        Strength::Middle => "",
        Strength::Advanced => " ···",
    };
    format!("{title}{version}{strength}")
}

async fn print(
    app: App,
    teacher: SignedIn,
    id: LadderId,
    asked: &SheetQuery,
    what: &str,
    make: impl Fn(&str, &Ladder) -> Result<paper::Pdf, paper::PaperError> + Send + Sync + 'static,
) -> Result<Response, ApiError> {
    let owner = store::share::ladder_seen_by(&app.db, teacher.0, id).await?;
    let kept = store::ladder::find(&app.db, owner, id).await?;
    let (version, strength) = (asked.version, asked.strength);
    let made = move || {
        let ladder = asked_sheet(&kept, (version, strength))?;
        let title = sheet_title(&kept.title, version, strength);
        make(&title, &ladder).map_err(|error| ApiError::internal(&error))
    };
    let pdf = app.pools.sheets.run(Asker::teacher(teacher.0), made).await??;
    let name = format!("inline; filename=\"ladder-{id}-{what}-{version:?}.pdf\"");
    let headers = [(CONTENT_TYPE, "application/pdf".to_owned()), (CONTENT_DISPOSITION, name)];
    Ok((headers, pdf.bytes).into_response())
}

/// A page of desks.
#[derive(Serialize, ToSchema)]
struct DeskPage {
    entries: Vec<DeskEntry>,
    /// Where the next page begins; absent on the last one.
    #[serde(skip_serializing_if = "Option::is_none")]
    next: Option<String>,
}

/// Which page of a list is meant.
#[derive(Deserialize, IntoParams)]
struct PageQuery {
    /// Where the page before ended; the first page when absent.
    after: Option<String>,
}

/// What the class wrote on a ladder, page by page in the order in which students joined.
#[utoipa::path(get, path = "/api/ladders/{id}/desks", params(("id" = u64, Path), PageQuery),
    responses((status = 200, body = DeskPage), (status = "default", body = Failure)))]
async fn desks_of_ladder(
    State(app): State<App>,
    teacher: SignedIn,
    Path(id): Path<LadderId>,
    Query(asked): Query<PageQuery>,
) -> Result<Json<DeskPage>, ApiError> {
    let written = |written: store::desk::Written| WrittenRung {
        number: written.rung,
        finished: written.judgement.finished,
        answered: written.judgement.answered,
        lines: written.judgement.lines,
        answer: written.judgement.answer,
    };
    let entry = |desk: store::desk::Desk| DeskEntry {
        id: desk.id,
        student: desk.student,
        code: desk.code,
        rungs: desk.written.into_iter().map(written).collect(),
    };
    let page = store::desk::of_ladder(&app.db, teacher.0, id, asked.after.as_deref()).await?;
    let entries = page.entries.into_iter().map(entry).collect();
    Ok(Json(DeskPage { entries, next: page.next }))
}

/// Takes a student's desk away, with all that is on it.
#[utoipa::path(delete, path = "/api/ladders/{id}/desks/{desk}",
    params(("id" = u64, Path), ("desk" = u64, Path)),
    responses((status = 204), (status = "default", body = Failure)))]
async fn remove_desk(
    State(app): State<App>,
    teacher: SignedIn,
    Path((id, desk)): Path<(LadderId, DeskId)>,
) -> Result<StatusCode, ApiError> {
    store::desk::remove(&app.db, teacher.0, id, desk).await?;
    Ok(StatusCode::NO_CONTENT)
}

/// A link to a Step Desk.
#[derive(Serialize, ToSchema)]
struct NewLink {
    /// The address of the Step Desk within this site.
    desk: String,
}

/// Gives a ladder's Step Desk a new link. The old one opens nothing any more; desks stay, and students come back to them
/// with their names and codes.
#[utoipa::path(post, path = "/api/ladders/{id}/link", params(("id" = u64, Path)),
    responses((status = 200, body = NewLink), (status = "default", body = Failure)))]
async fn renew_link(
    State(app): State<App>,
    teacher: SignedIn,
    Path(id): Path<LadderId>,
) -> Result<Json<NewLink>, ApiError> {
    let link = store::ladder::renew_link(&app.db, teacher.0, id).await?;
    Ok(Json(NewLink { desk: desk_path(&link) }))
}

/// Sets what holds on a ladder's Step Desk: how strong a hint students are given, and whether an answer may stand alone.
#[utoipa::path(put, path = "/api/ladders/{id}/rules", params(("id" = u64, Path)),
    request_body = DeskRules,
    responses((status = 204), (status = "default", body = Failure)))]
async fn set_rules(
    State(app): State<App>,
    teacher: SignedIn,
    Path(id): Path<LadderId>,
    Body(asked): Body<DeskRules>,
) -> Result<StatusCode, ApiError> {
    if asked.hints > store::ladder::STRONGEST_HINT {
        return Err(ApiError::bad("Hints come in three strengths: choose 0, 1, 2 or 3."));
    }
    store::ladder::set_rules(&app.db, teacher.0, id, asked.hints, asked.alone).await?;
    Ok(StatusCode::NO_CONTENT)
}
