//! Sharing: links to look, to copy and to edit together, and the shelf of the department.

use crate::address::Address;
use crate::app::App;
use crate::error::{ApiError, Failure};
use crate::extract::{Body, Path, Query};
use crate::routes::desks::{DeskRung, rung_view};
use crate::routes::ladders::{RungView, views};
use crate::routes::lessons::LessonView;
use crate::routes::shelf::{Made, lesson_to_copy};
use crate::session::{self, SignedIn};
use crate::work::Asker;
use axum::Json;
use axum::extract::State;
use axum::http::StatusCode;
use axum::http::header::CONTENT_TYPE;
use axum::response::IntoResponse;
use drawing::image::ImageKind;
use serde::{Deserialize, Serialize};
use store::attempt::{self, Allowed};
use store::share::{self, Offered, Share, ShareKind, Shared};
use store::{ImageId, LadderId, LessonId, ShareId, StoreError};
use utoipa::{IntoParams, ToSchema};
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

pub(crate) fn router() -> OpenApiRouter<App> {
    OpenApiRouter::new()
        .routes(routes!(shares_of_lesson, share_lesson))
        .routes(routes!(shares_of_ladder, share_ladder))
        .routes(routes!(end_share))
        .routes(routes!(look_at_shared))
        .routes(routes!(image_of_shared))
        .routes(routes!(copy_shared))
        .routes(routes!(edit_shared))
        .routes(routes!(department))
        .routes(routes!(shared_with_me))
}

/// Looks at links from one address, which may be a whole school's.
const LOOKS: Allowed = Allowed { times: 3_000, seconds: 3_600 };
/// Longest time that a share lasts, in days.
const LONGEST_DAYS: i64 = 730;

/// A share, as its owner sees it.
#[derive(Serialize, ToSchema)]
struct ShareEntry {
    id: ShareId,
    kind: ShareKind,
    /// Of a ladder: whether its key is shown.
    with_key: bool,
    /// The address within this site.
    page: String,
    /// When it opens nothing any more, as Unix time in seconds.
    #[serde(skip_serializing_if = "Option::is_none")]
    expires: Option<i64>,
    /// Whether that has passed.
    over: bool,
}

/// How a lesson or a ladder is shared.
#[derive(Serialize, ToSchema)]
struct Sharing {
    /// Whether it is the teacher's own: only its owner shares it.
    mine: bool,
    /// The name of its owner.
    owner: String,
    /// Where it was copied from, in words.
    #[serde(skip_serializing_if = "Option::is_none")]
    came_from: Option<String>,
    shares: Vec<ShareEntry>,
    /// The names of those who edit it together with its owner.
    editors: Vec<String>,
}

/// A share to be made.
#[derive(Deserialize, ToSchema)]
struct NewShare {
    kind: ShareKind,
    /// Of a ladder: whether its key is shown.
    #[serde(default)]
    with_key: bool,
    /// For how many days; for good when absent.
    #[serde(default)]
    days: Option<u16>,
}

impl From<Share> for ShareEntry {
    fn from(share: Share) -> Self {
        let over = share.expires.is_some_and(|at| at <= session::now());
        let Share { id, kind, with_key, expires, .. } = share;
        Self { id, kind, with_key, page: format!("/shared/{}", share.link), expires, over }
    }
}

async fn sharing(app: &App, teacher: SignedIn, what: Shared) -> Result<Sharing, ApiError> {
    let (shares, mine) = match (share::of(&app.db, teacher.0, what).await, what) {
        (Ok(shares), _) => (shares, true),
        (Err(StoreError::NotFound), Shared::Lesson(id)) => {
            share::edited_by(&app.db, teacher.0, id).await?;
            (Vec::new(), false)
        }
        (Err(error), _) => return Err(error.into()),
    };
    let origin = share::origin(&app.db, what).await?;
    let editors = match what {
        Shared::Lesson(id) => share::editors(&app.db, id).await?,
        Shared::Ladder(_) => Vec::new(),
    };
    Ok(Sharing {
        mine,
        owner: origin.owner,
        came_from: origin.came_from,
        shares: shares.into_iter().map(ShareEntry::from).collect(),
        editors,
    })
}

async fn shared(
    app: &App,
    teacher: SignedIn,
    what: Shared,
    new: &NewShare,
) -> Result<Json<ShareEntry>, ApiError> {
    if new.kind == ShareKind::Edit && matches!(what, Shared::Ladder(_)) {
        return Err(ApiError::bad("A ladder is looked at or copied. Share its lesson to edit it."));
    }
    let days = new.days.map(i64::from);
    if days.is_some_and(|days| !(1..=LONGEST_DAYS).contains(&days)) {
        return Err(ApiError::bad("A link lasts from 1 to 730 days, or for good."));
    }
    let expires = days.map(|days| session::now() + days * 86_400);
    let made = share::create(&app.db, teacher.0, what, new.kind, new.with_key, expires).await;
    let made = made.map_err(|error| match error {
        StoreError::Full => ApiError::bad("There are 20 links to this. End one of them first."),
        other => other.into(),
    })?;
    Ok(Json(made.into()))
}

/// How a lesson is shared.
#[utoipa::path(get, path = "/api/lessons/{id}/shares", params(("id" = u64, Path)),
    responses((status = 200, body = Sharing), (status = "default", body = Failure)))]
async fn shares_of_lesson(
    State(app): State<App>,
    teacher: SignedIn,
    Path(id): Path<LessonId>,
) -> Result<Json<Sharing>, ApiError> {
    Ok(Json(sharing(&app, teacher, Shared::Lesson(id)).await?))
}

/// Shares a lesson.
#[utoipa::path(post, path = "/api/lessons/{id}/shares", params(("id" = u64, Path)),
    request_body = NewShare,
    responses((status = 200, body = ShareEntry), (status = "default", body = Failure)))]
async fn share_lesson(
    State(app): State<App>,
    teacher: SignedIn,
    Path(id): Path<LessonId>,
    Body(new): Body<NewShare>,
) -> Result<Json<ShareEntry>, ApiError> {
    shared(&app, teacher, Shared::Lesson(id), &new).await
}

/// How a ladder is shared.
#[utoipa::path(get, path = "/api/ladders/{id}/shares", params(("id" = u64, Path)),
    responses((status = 200, body = Sharing), (status = "default", body = Failure)))]
async fn shares_of_ladder(
    State(app): State<App>,
    teacher: SignedIn,
    Path(id): Path<LadderId>,
) -> Result<Json<Sharing>, ApiError> {
    Ok(Json(sharing(&app, teacher, Shared::Ladder(id)).await?))
}

/// Shares a ladder.
#[utoipa::path(post, path = "/api/ladders/{id}/shares", params(("id" = u64, Path)),
    request_body = NewShare,
    responses((status = 200, body = ShareEntry), (status = "default", body = Failure)))]
async fn share_ladder(
    State(app): State<App>,
    teacher: SignedIn,
    Path(id): Path<LadderId>,
    Body(new): Body<NewShare>,
) -> Result<Json<ShareEntry>, ApiError> {
    shared(&app, teacher, Shared::Ladder(id), &new).await
}

/// Ends a share: its link opens nothing any more.
#[utoipa::path(delete, path = "/api/shares/{id}", params(("id" = u64, Path)),
    responses((status = 204), (status = "default", body = Failure)))]
async fn end_share(
    State(app): State<App>,
    teacher: SignedIn,
    Path(id): Path<ShareId>,
) -> Result<StatusCode, ApiError> {
    share::remove(&app.db, teacher.0, id).await?;
    Ok(StatusCode::NO_CONTENT)
}

/// What a link shows to whoever has it.
#[derive(Serialize, ToSchema)]
struct SharedView {
    kind: ShareKind,
    title: String,
    /// The name of its owner.
    from_whom: String,
    /// A lesson, without the notes that are for its teacher alone.
    #[serde(skip_serializing_if = "Option::is_none")]
    lesson: Option<LessonView>,
    /// The rungs of a ladder with their key, where that is shared.
    #[serde(skip_serializing_if = "Option::is_none")]
    rungs: Option<Vec<RungView>>,
    /// The rungs of a ladder as students see them.
    #[serde(skip_serializing_if = "Option::is_none")]
    problems: Option<Vec<DeskRung>>,
}

/// The share that a link opens.
async fn opened(app: &App, address: Address, link: &str) -> Result<Share, ApiError> {
    let now = session::now();
    attempt::count(&app.db, &format!("shared {address}"), LOOKS, now).await?;
    share::by_link(&app.db, link, now).await.map_err(|error| match error {
        StoreError::NotFound => {
            ApiError::not_found("This link opens nothing any more. Ask for it again.")
        }
        other => other.into(),
    })
}

/// Looks at what a link shares.
#[utoipa::path(get, path = "/api/shared/{link}", params(("link" = String, Path)),
    responses((status = 200, body = SharedView), (status = "default", body = Failure)))]
async fn look_at_shared(
    State(app): State<App>,
    address: Address,
    Path(link): Path<String>,
) -> Result<Json<SharedView>, ApiError> {
    let share = opened(&app, address, &link).await?;
    let from_whom = share::origin(&app.db, share.what).await?.owner;
    let asker = Asker::address(address.0);
    let nothing = |title: String| SharedView {
        kind: share.kind,
        title,
        from_whom,
        lesson: None,
        rungs: None,
        problems: None,
    };
    Ok(Json(match share.what {
        Shared::Lesson(id) => {
            let kept = store::lesson::find(&app.db, share.owner, id).await?;
            let title = kept.lesson.title.clone();
            let view = move || {
                let mut lesson = kept.lesson.clone();
                for slide in &mut lesson.slides {
                    slide.notes.clear();
                }
                lesson.dismissed.clear();
                LessonView::of(id, kept.revision, lesson)
            };
            let lesson = Some(app.pools.making.run(asker, view).await?);
            SharedView { lesson, ..nothing(title) }
        }
        Shared::Ladder(id) => {
            let kept = store::ladder::find(&app.db, share.owner, id).await?;
            let title = kept.title.clone();
            if share.with_key {
                let shown = move || {
                    let mut rungs = views(&kept);
                    // Why a rung is there is told of students, to their teacher.
                    rungs.iter_mut().for_each(|view| view.why = None);
                    rungs
                };
                let rungs = Some(app.pools.making.run(asker, shown).await?);
                SharedView { rungs, ..nothing(title) }
            } else {
                let shown = move || {
                    let rungs = kept.ladder.rungs.iter().enumerate();
                    rungs.map(|(at, rung)| rung_view(at + 1, rung)).collect()
                };
                let problems = Some(app.pools.making.run(asker, shown).await?);
                SharedView { problems, ..nothing(title) }
            }
        }
    }))
}

/// Shows an image of a lesson that a link shares.
#[utoipa::path(get, path = "/api/shared/{link}/images/{id}",
    params(("link" = String, Path), ("id" = u64, Path)),
    responses((status = 200, body = Vec<u8>, content_type = "image/*"), (status = "default", body = Failure)))]
async fn image_of_shared(
    State(app): State<App>,
    address: Address,
    Path((link, id)): Path<(String, ImageId)>,
) -> Result<impl IntoResponse, ApiError> {
    let share = opened(&app, address, &link).await?;
    let Shared::Lesson(lesson) = share.what else { return Err(StoreError::NotFound.into()) };
    let kept = store::lesson::find(&app.db, share.owner, lesson).await?;
    if !kept.lesson.images().any(|image| image == id.0) {
        return Err(StoreError::NotFound.into());
    }
    let (kind, bytes) = share::image(&app.db, share.owner, id).await?;
    Ok(([(CONTENT_TYPE, ImageKind::media_type(&kind))], bytes))
}

/// A copy that was made.
#[derive(Serialize, ToSchema)]
struct Copied {
    /// The lesson, when it is one.
    #[serde(skip_serializing_if = "Option::is_none")]
    lesson: Option<LessonId>,
    /// The ladder, when it is one.
    #[serde(skip_serializing_if = "Option::is_none")]
    ladder: Option<LadderId>,
}

/// Copies what a link shares onto one's own shelf, with where it came from.
#[utoipa::path(post, path = "/api/shared/{link}/copy", params(("link" = String, Path)),
    responses((status = 200, body = Copied), (status = "default", body = Failure)))]
async fn copy_shared(
    State(app): State<App>,
    teacher: SignedIn,
    address: Address,
    Path(link): Path<String>,
) -> Result<Json<Copied>, ApiError> {
    let share = opened(&app, address, &link).await?;
    if !share.kind.copies() && share.owner != teacher.0 {
        return Err(ApiError::bad("This link is for looking. Ask its owner for one to copy from."));
    }
    let owner = share::origin(&app.db, share.what).await?.owner;
    let full = |error| match error {
        StoreError::Full => {
            ApiError::bad("There is no room on your shelf. Take something out first.")
        }
        other => ApiError::from(other),
    };
    let copied = match share.what {
        Shared::Lesson(id) => {
            let mut new = lesson_to_copy(&app, share.owner, id).await?;
            new.came_from = Some(came_from(&owner, &new.lesson.title));
            let lesson = store::lesson::create(&app.db, teacher.0, new).await.map_err(full)?;
            Copied { lesson: Some(lesson), ladder: None }
        }
        Shared::Ladder(id) => {
            let kept = store::ladder::find(&app.db, share.owner, id).await?;
            let from = came_from(&owner, &kept.title);
            let copy = store::ladder::copy(&app.db, teacher.0, &kept, &from).await;
            Copied { lesson: None, ladder: Some(copy.map_err(full)?) }
        }
    };
    Ok(Json(copied))
}

/// Where a copy came from, in words.
fn came_from(owner: &str, title: &str) -> String {
    format!("Copied from {owner}: {title}")
}

/// Goes in to edit a lesson together with its owner.
#[utoipa::path(post, path = "/api/shared/{link}/edit", params(("link" = String, Path)),
    responses((status = 200, body = Made), (status = "default", body = Failure)))]
async fn edit_shared(
    State(app): State<App>,
    teacher: SignedIn,
    address: Address,
    Path(link): Path<String>,
) -> Result<Json<Made>, ApiError> {
    let share = opened(&app, address, &link).await?;
    let lesson = share::let_in(&app.db, &share, teacher.0).await.map_err(|error| match error {
        StoreError::NotFound => {
            ApiError::bad("This link is not for editing. Ask its owner for one that is.")
        }
        other => other.into(),
    })?;
    Ok(Json(Made { id: lesson.0 }))
}

/// What a colleague offers.
#[derive(Serialize, ToSchema)]
struct OfferedEntry {
    /// The address within this site.
    page: String,
    title: String,
    /// The name of its owner.
    from_whom: String,
    /// The grade of a lesson; a ladder has none.
    #[serde(skip_serializing_if = "Option::is_none")]
    grade: Option<u8>,
    /// Whether it is a ladder.
    is_ladder: bool,
}

impl From<Offered> for OfferedEntry {
    fn from(one: Offered) -> Self {
        let page = match one.lesson {
            Some(lesson) if one.link.is_empty() => format!("/lessons/{lesson}"),
            _ => format!("/shared/{}", one.link),
        };
        let is_ladder = one.ladder.is_some();
        Self { page, title: one.title, from_whom: one.from_whom, grade: one.grade, is_ladder }
    }
}

/// A page of what colleagues offer.
#[derive(Serialize, ToSchema)]
struct OfferedPage {
    entries: Vec<OfferedEntry>,
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

/// What is shared with every colleague, the latest first.
#[utoipa::path(get, path = "/api/department", params(PageQuery),
    responses((status = 200, body = OfferedPage), (status = "default", body = Failure)))]
async fn department(
    State(app): State<App>,
    _teacher: SignedIn,
    Query(asked): Query<PageQuery>,
) -> Result<Json<OfferedPage>, ApiError> {
    let page = share::department(&app.db, asked.after.as_deref()).await?;
    let entries = page.entries.into_iter().map(OfferedEntry::from).collect();
    Ok(Json(OfferedPage { entries, next: page.next }))
}

/// The lessons that colleagues edit together with the teacher who asks.
#[utoipa::path(get, path = "/api/shared-with-me",
    responses((status = 200, body = Vec<OfferedEntry>), (status = "default", body = Failure)))]
async fn shared_with_me(
    State(app): State<App>,
    teacher: SignedIn,
) -> Result<Json<Vec<OfferedEntry>>, ApiError> {
    let all = share::with(&app.db, teacher.0).await?;
    Ok(Json(all.into_iter().map(OfferedEntry::from).collect()))
}
