//! The Step Desk: a student joins by a link and a name, writes lines, and has each judged and kept.

use crate::address::Address;
use crate::app::App;
use crate::error::{ApiError, Failure};
use crate::extract::{Body, Path};
use crate::routes::students::come_in;
use crate::session;
use crate::text::is_visible;
use crate::work::Asker;
use axum::Json;
use axum::extract::State;
use axum::http::StatusCode;
use desk::{DeskLine, GivenAnswer, Judgement, Keypad, MOST_LINES, judge_with};
use drawing::Scene;
use serde::{Deserialize, Serialize};
use skills::ladder::Rung;
use store::assignment::{self, Assignment, Progress, Remark};
use store::attempt::{self, Allowed};
use store::desk::{Desk, Written};
use store::ladder::{KeptLadder, STRONGEST_HINT};
use store::{DeskId, StoreError};
use teaching::answer::AnswerKind;
use teaching::skill::Stage;
use teaching::working::WorkingLine;
use tower_sessions::Session;
use utoipa::ToSchema;
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

pub(crate) fn router() -> OpenApiRouter<App> {
    OpenApiRouter::new()
        .routes(routes!(look_at_desk))
        .routes(routes!(join_desk))
        .routes(routes!(leave_desk))
        .routes(routes!(hand_in))
        .routes(routes!(try_again))
        .routes(routes!(write_on_desk))
}

/// Longest name of a student, in characters.
const LONGEST_NAME: usize = 40;
/// Longest line that is kept, in bytes; a longer one is refused with a sentence.
const LONGEST_LINE: usize = 4_000;

/// Longest answer in its place, in bytes, and most parts of one.
const LONGEST_ANSWER: usize = 600;
const MOST_PARTS: usize = 60;

/// Tries of the code of one name, and from one address.
const CODES_OF_NAME: Allowed = Allowed { times: 10, seconds: 3_600 };
const CODES_OF_ADDRESS: Allowed = Allowed { times: 100, seconds: 3_600 };
/// New desks from one browser, which may be one of a class's few, and from one address, which may be a whole school's.
const JOINS_OF_BROWSER: Allowed = Allowed { times: 12, seconds: 3_600 };
const JOINS_OF_ADDRESS: Allowed = Allowed { times: 200, seconds: 3_600 };

/// A rung as a student sees it: nothing of its answer.
#[derive(Serialize, ToSchema)]
pub(crate) struct DeskRung {
    number: usize,
    stage: Stage,
    prompt: String,
    #[serde(skip_serializing_if = "Option::is_none")]
    scene: Option<Scene>,
    /// The letter that is asked for.
    unknown: String,
    /// Whether the student sets up the equation.
    story: bool,
    /// Whether the answer is words.
    words: bool,
    /// What its keypad has to offer.
    keypad: Keypad,
    /// The place for its answer; absent where the lines are the answer.
    #[serde(skip_serializing_if = "Option::is_none")]
    place: Option<AnswerKind>,
    /// The lines of somebody's working, typeset, when the one that breaks is asked for.
    #[serde(skip_serializing_if = "Vec::is_empty")]
    working: Vec<String>,
    /// Whether a stage below is to be finished first.
    locked: bool,
}

/// What stands on a rung.
#[derive(Serialize, ToSchema)]
struct WrittenView {
    number: u16,
    revision: u32,
    lines: Vec<DeskLine>,
    #[serde(skip_serializing_if = "Option::is_none")]
    answer: Option<GivenAnswer>,
    judgement: Judgement,
}

/// A desk as its student sees it.
#[derive(Serialize, ToSchema)]
struct DeskView {
    title: String,
    /// The name that was given; absent before joining, and the rungs with it.
    #[serde(skip_serializing_if = "Option::is_none")]
    student: Option<String>,
    /// With the name, the way back to this desk from another device.
    #[serde(skip_serializing_if = "Option::is_none")]
    code: Option<String>,
    rungs: Vec<DeskRung>,
    written: Vec<WrittenView>,
    /// Whether steps are shown as pictures before the answer stands there.
    pictures: bool,
    /// Whether it was given to a class: its students come with their codes.
    of_class: bool,
    /// Whether a first name is enough to come in.
    is_open: bool,
    /// How the assignment stands, for a student of the class.
    #[serde(skip_serializing_if = "Option::is_none")]
    assigned: Option<Assigned>,
}

/// How an assignment stands for its student.
#[derive(Serialize, ToSchema)]
struct Assigned {
    /// The address of the page of the class within this site.
    page: String,
    /// When it is due, as Unix time in seconds.
    #[serde(skip_serializing_if = "Option::is_none")]
    due: Option<i64>,
    #[serde(skip_serializing_if = "Option::is_none")]
    handed_in: Option<i64>,
    #[serde(skip_serializing_if = "Option::is_none")]
    given_back: Option<i64>,
    /// Which try it is.
    nth: u8,
    /// How many tries there are; 0 for as many as they like.
    tries: u8,
    /// Whether each try has other numbers.
    fresh: bool,
    /// Whether a further try may be begun now.
    again: bool,
    /// What the teacher says of rungs, once it was given back.
    remarks: Vec<GivenRemark>,
    /// The key, rung by rung, once it was given back.
    keys: Vec<RungKey>,
}

/// What a teacher says of a rung.
#[derive(Serialize, ToSchema)]
struct GivenRemark {
    number: u16,
    /// `right`, `partly` or `again`.
    #[serde(skip_serializing_if = "Option::is_none")]
    mark: Option<String>,
    #[serde(skip_serializing_if = "Option::is_none")]
    remark: Option<String>,
}

/// The key of a rung.
#[derive(Serialize, ToSchema)]
struct RungKey {
    answer: String,
    working: Vec<WorkingLine>,
}

/// Who sits down.
#[derive(Deserialize, ToSchema)]
struct Joining {
    name: String,
    /// The code of a desk that was sat at before; absent for a new one.
    #[serde(default)]
    code: Option<String>,
}

/// The lines of one rung.
#[derive(Deserialize, ToSchema)]
struct Writing {
    /// The revision that was changed; 0 when nothing was there.
    based_on: u32,
    lines: Vec<DeskLine>,
    /// What stands in the place for the answer.
    #[serde(default)]
    answer: Option<GivenAnswer>,
}

/// Lines that are kept, with what is said of them.
#[derive(Serialize, ToSchema)]
struct WritingKept {
    revision: u32,
    judgement: Judgement,
}

pub(crate) fn rung_view(number: usize, rung: &Rung) -> DeskRung {
    DeskRung {
        number,
        stage: rung.stage,
        prompt: rung.prompt.clone(),
        scene: rung.figure.as_ref().map(drawing::draw),
        unknown: rung.unknown.clone(),
        story: rung.story,
        words: rung.answer.is_words(),
        keypad: Keypad::of(rung),
        place: Some(rung.kind()).filter(AnswerKind::has_place),
        locked: false,
        working: rung
            .flawed
            .iter()
            .flat_map(|flawed| &flawed.lines)
            .map(|l| l.latex.clone())
            .collect(),
    }
}

/// The ladder that a link opens, and the assignment when it was given to a class.
async fn opened(app: &App, link: &str) -> Result<(KeptLadder, Option<Assignment>), ApiError> {
    let given = match assignment::by_link(&app.db, link).await {
        Ok((given, ladder)) => return Ok((ladder, Some(given))),
        Err(error) => error,
    };
    let found = match given {
        StoreError::NotFound => store::ladder::by_link(&app.db, link).await,
        other => Err(other),
    };
    found.map(|ladder| (ladder, None)).map_err(|error| match error {
        StoreError::NotFound => {
            ApiError::not_found("This link opens no Step Desk. Ask for it again.")
        }
        other => other.into(),
    })
}

/// The desk of this browser: where it sits, or that of the student who was let in to the class.
async fn desk_of(
    app: &App,
    session: &Session,
    link: &str,
    given: Option<&Assignment>,
) -> Result<Option<DeskId>, ApiError> {
    let Some(given) = given else { return session::desk(session, link).await };
    let Some(student) = session::student(session, given.class).await? else { return Ok(None) };
    match assignment::desk(&app.db, given, student).await {
        Ok(desk) => Ok(Some(desk)),
        // They have left the class.
        Err(StoreError::NotFound) => Ok(None),
        Err(error) => Err(error.into()),
    }
}

/// Whether what is said of lines waits: until the work is given back, or its day is over.
pub(super) fn waits(given: Option<&Assignment>, progress: Progress) -> bool {
    given.is_some_and(|given| !given.tells(progress, session::now()))
}

/// The stage up to which rungs are open: one stage after the other, where they are staged.
fn open_to(given: Option<&Assignment>, rungs: &[Rung], written: &[Written]) -> Stage {
    if !given.is_some_and(|given| given.rules.staged) {
        return Stage::Climb;
    }
    live::open_to(rungs, |at| {
        written.iter().any(|one| usize::from(one.rung) == at + 1 && one.judgement.finished)
    })
}

async fn view(app: &App, session: &Session, link: &str) -> Result<DeskView, ApiError> {
    let (mut kept, given) = opened(app, link).await?;
    let title = kept.title.clone();
    let class = match &given {
        Some(given) => Some(store::class::any(&app.db, given.class).await?),
        None => None,
    };
    let (of_class, is_open) = (class.is_some(), class.is_some_and(|class| class.is_open));
    let nobody = || DeskView {
        title: title.clone(),
        student: None,
        code: None,
        rungs: Vec::new(),
        written: Vec::new(),
        pictures: false,
        of_class,
        is_open,
        assigned: None,
    };
    let Some(id) = desk_of(app, session, link, given.as_ref()).await? else {
        return Ok(nobody());
    };
    let desk = match store::desk::find(&app.db, kept.id, id).await {
        Ok(desk) => desk,
        Err(StoreError::NotFound) => return Ok(nobody()),
        Err(error) => return Err(error.into()),
    };
    let progress = match &given {
        Some(_) => assignment::progress(&app.db, id).await?,
        None => Progress::default(),
    };
    let waits = waits(given.as_ref(), progress);
    let nth = with_own_numbers(app, &mut kept, given.as_ref(), id).await?;
    let assigned = match &given {
        Some(given) => Some(assigned(app, given, (id, nth), progress, &kept.ladder.rungs).await?),
        None => None,
    };
    let open_to = open_to(given.as_ref(), &kept.ladder.rungs, &desk.written);
    let rungs = kept.ladder.rungs;
    let views = move || {
        let view = |(index, rung): (usize, &Rung)| {
            let mut view = rung_view(index + 1, rung);
            view.locked = rung.stage > open_to;
            view
        };
        rungs.iter().enumerate().map(view).collect()
    };
    let rungs = app.pools.judging.run(Asker::student(kept.id, id), views).await?;
    let mut code = desk.code;
    if let Some(given) = given.as_ref().filter(|_| is_open) {
        code = store::class::code_of(&app.db, given.class, id).await?;
    }
    let written = |w: Written| WrittenView {
        number: w.rung,
        revision: w.revision,
        lines: w.lines,
        answer: w.answer,
        judgement: told(w.judgement, kept.hints, waits),
    };
    Ok(DeskView {
        title: kept.title,
        student: Some(desk.student),
        code: Some(code).filter(|code| !code.is_empty()),
        rungs,
        written: desk.written.into_iter().map(written).collect(),
        pictures: kept.hints == STRONGEST_HINT && !waits,
        of_class,
        is_open,
        assigned,
    })
}

/// Puts the numbers of a desk's own try into its ladder, where it has any; tells which try it is.
async fn with_own_numbers(
    app: &App,
    kept: &mut KeptLadder,
    given: Option<&Assignment>,
    desk: DeskId,
) -> Result<u8, ApiError> {
    if given.is_none() {
        return Ok(1);
    }
    let (nth, own) = assignment::of_try(&app.db, desk).await?;
    if let Some(own) = own {
        kept.ladder = own;
    }
    Ok(nth)
}

/// Whether a further try may be begun: the last was handed in, and where it has the same numbers its key is not out.
const fn may_try_again(given: &Assignment, nth: u8, progress: Progress) -> bool {
    let is_open = given.rules.fresh || progress.given_back.is_none();
    progress.handed_in.is_some() && is_open && given.rules.allow_after(nth)
}

/// What a student is told of a judgement.
pub(super) fn told(judgement: Judgement, hints: u8, waits: bool) -> Judgement {
    let judgement = judgement.with_hints(hints.into());
    if waits { live::withheld(judgement) } else { judgement }
}

/// How an assignment stands for its student; with the key once it was given back.
async fn assigned(
    app: &App,
    given: &Assignment,
    (desk, nth): (DeskId, u8),
    progress: Progress,
    rungs: &[Rung],
) -> Result<Assigned, ApiError> {
    let Progress { handed_in, given_back } = progress;
    let (mut remarks, mut keys) = (Vec::new(), Vec::new());
    if given_back.is_some() {
        let remark =
            |one: Remark| GivenRemark { number: one.rung, mark: one.mark, remark: one.remark };
        remarks.extend(assignment::remarks(&app.db, desk).await?.into_iter().map(remark));
        let key = |rung: &Rung| RungKey {
            answer: rung.answer.text.clone(),
            working: rung.working.clone(),
        };
        keys.extend(rungs.iter().map(key));
    }
    let page = format!("/class/{}", store::class::page_of(&app.db, given.class).await?);
    Ok(Assigned {
        due: given.rules.due,
        handed_in,
        given_back,
        nth,
        tries: given.rules.tries,
        fresh: given.rules.fresh,
        again: may_try_again(given, nth, progress),
        remarks,
        keys,
        page,
    })
}

/// Opens a Step Desk.
#[utoipa::path(get, path = "/api/desk/{link}", params(("link" = String, Path)),
    responses((status = 200, body = DeskView), (status = "default", body = Failure)))]
async fn look_at_desk(
    State(app): State<App>,
    session: Session,
    Path(link): Path<String>,
) -> Result<Json<DeskView>, ApiError> {
    Ok(Json(view(&app, &session, &link).await?))
}

/// Sits down at a Step Desk with a first name.
#[utoipa::path(post, path = "/api/desk/{link}/join", params(("link" = String, Path)),
    request_body = Joining,
    responses((status = 200, body = DeskView), (status = "default", body = Failure)))]
async fn join_desk(
    State(app): State<App>,
    address: Address,
    session: Session,
    Path(link): Path<String>,
    Body(joining): Body<Joining>,
) -> Result<Json<DeskView>, ApiError> {
    let (kept, given) = opened(&app, &link).await?;
    if let Some(given) = given {
        let class = store::class::any(&app.db, given.class).await?;
        let Joining { name, code } = joining;
        come_in(&app, &class, address, &session, code.as_deref(), Some(&name)).await?;
        return Ok(Json(view(&app, &session, &link).await?));
    }
    let name = joining.name.split_whitespace().collect::<Vec<_>>().join(" ");
    if name.is_empty() || name.chars().count() > LONGEST_NAME || !is_visible(&name) {
        return Err(ApiError::bad("Type your first name, in at most 40 letters."));
    }
    let code = joining.code.as_deref().map(str::trim).filter(|code| !code.is_empty());
    let desk = match code {
        Some(code) => come_back(&app, &kept, address, &name, code).await?,
        None => sit_down_anew(&app, &kept, address, &session, &name).await?,
    };
    session::sit_down(&session, &link, Some(desk)).await?;
    Ok(Json(view(&app, &session, &link).await?))
}

/// The desk of a name and its code.
async fn come_back(
    app: &App,
    kept: &KeptLadder,
    address: Address,
    name: &str,
    code: &str,
) -> Result<DeskId, ApiError> {
    let (id, now) = (kept.id, session::now());
    let tries = format!("code {id} {}", name.to_lowercase());
    attempt::count(&app.db, &tries, CODES_OF_NAME, now).await?;
    attempt::count(&app.db, &format!("codes {id} {address}"), CODES_OF_ADDRESS, now).await?;
    match store::desk::come_back(&app.db, id, name, code).await {
        Ok(desk) => {
            attempt::forget(&app.db, &tries).await?;
            Ok(desk)
        }
        Err(StoreError::NotFound) => Err(ApiError::bad(
            "This name and this code do not go together. Look at both again, or ask your teacher.",
        )),
        Err(error) => Err(error.into()),
    }
}

/// A new desk.
async fn sit_down_anew(
    app: &App,
    kept: &KeptLadder,
    address: Address,
    session: &Session,
    name: &str,
) -> Result<DeskId, ApiError> {
    let (id, now) = (kept.id, session::now());
    if let Some(session) = session.id() {
        attempt::count(&app.db, &format!("join {id} {session}"), JOINS_OF_BROWSER, now).await?;
    }
    attempt::count(&app.db, &format!("joins {id} {address}"), JOINS_OF_ADDRESS, now).await?;
    store::desk::join(&app.db, id, name).await.map_err(|error| match error {
        StoreError::Taken => ApiError::taken(
            "Somebody with this name sits here already. If that is you, type your code too. \
             If not, add a letter of your family name.",
        ),
        other => other.into(),
    })
}

/// Leaves a Step Desk, so that somebody else can sit down at this device. What was written stays.
#[utoipa::path(post, path = "/api/desk/{link}/leave", params(("link" = String, Path)),
    responses((status = 204), (status = "default", body = Failure)))]
async fn leave_desk(
    State(app): State<App>,
    session: Session,
    Path(link): Path<String>,
) -> Result<StatusCode, ApiError> {
    if let Ok((_, Some(given))) = opened(&app, &link).await {
        session::enter(&session, given.class, None).await?;
    }
    session::sit_down(&session, &link, None).await?;
    Ok(StatusCode::NO_CONTENT)
}

/// Hands an assignment in: nothing more is written until the teacher opens it again.
#[utoipa::path(post, path = "/api/desk/{link}/hand-in", params(("link" = String, Path)),
    responses((status = 204), (status = "default", body = Failure)))]
async fn hand_in(
    State(app): State<App>,
    session: Session,
    Path(link): Path<String>,
) -> Result<StatusCode, ApiError> {
    let (_, given) = opened(&app, &link).await?;
    let given = given.ok_or_else(|| ApiError::not_found("Nothing is handed in here."))?;
    let desk = desk_of(&app, &session, &link, Some(&given)).await?;
    let desk = desk.ok_or_else(|| ApiError::sign_in("Type your code first."))?;
    assignment::hand_in(&app.db, desk, session::now()).await?;
    Ok(StatusCode::NO_CONTENT)
}

/// Begins a further try of an assignment that was handed in, with the same numbers or with others.
#[utoipa::path(post, path = "/api/desk/{link}/again", params(("link" = String, Path)),
    responses((status = 200, body = DeskView), (status = "default", body = Failure)))]
async fn try_again(
    State(app): State<App>,
    session: Session,
    Path(link): Path<String>,
) -> Result<Json<DeskView>, ApiError> {
    let (kept, given) = opened(&app, &link).await?;
    let given = given.ok_or_else(|| ApiError::not_found("There is one try here."))?;
    let desk = desk_of(&app, &session, &link, Some(&given)).await?;
    let desk = desk.ok_or_else(|| ApiError::sign_in("Type your code first."))?;
    let progress = assignment::progress(&app.db, desk).await?;
    let (nth, _) = assignment::of_try(&app.db, desk).await?;
    if !may_try_again(&given, nth, progress) {
        return Err(ApiError::bad("There is no further try. Ask your teacher to open it again."));
    }
    let ladder = match kept.plan.filter(|_| given.rules.fresh) {
        // A catalogue that has changed since has no other numbers for it.
        Some(plan) => {
            let asker = Asker::student(kept.id, desk);
            app.pools.judging.run(asker, move || lesson::bench::anew(&plan, nth + 1)).await?.ok()
        }
        None => None,
    };
    assignment::again(&app.db, &given, desk, ladder.as_ref()).await?;
    Ok(Json(view(&app, &session, &link).await?))
}

/// Where somebody sits: the ladder with the assignment, the desk, and the rung's index.
pub(super) struct Seat {
    pub kept: KeptLadder,
    pub given: Option<Assignment>,
    pub desk: Desk,
    pub index: usize,
    pub progress: Progress,
}

/// The ladder, the desk of whoever asks, and the rung's index.
pub(super) async fn seat(
    app: &App,
    session: &Session,
    link: &str,
    number: u16,
) -> Result<Seat, ApiError> {
    let (mut kept, given) = opened(app, link).await?;
    let sit_down = || ApiError::sign_in("Type your name first, so that your work can be kept.");
    let desk = desk_of(app, session, link, given.as_ref()).await?.ok_or_else(sit_down)?;
    let desk = store::desk::find(&app.db, kept.id, desk).await.map_err(|error| match error {
        // The teacher has taken it away.
        StoreError::NotFound => sit_down(),
        other => other.into(),
    })?;
    with_own_numbers(app, &mut kept, given.as_ref(), desk.id).await?;
    let index = usize::from(number).wrapping_sub(1);
    if index >= kept.ladder.rungs.len() {
        return Err(ApiError::not_found("This ladder has no such rung."));
    }
    if kept.ladder.rungs[index].stage > open_to(given.as_ref(), &kept.ladder.rungs, &desk.written) {
        return Err(ApiError::bad("Finish the stage below first: then this one opens."));
    }
    let progress = match given {
        Some(_) => assignment::progress(&app.db, desk.id).await?,
        None => Progress::default(),
    };
    Ok(Seat { kept, given, desk, index, progress })
}

/// Judges the lines of a rung and keeps them; when this answers, they are committed.
#[utoipa::path(put, path = "/api/desk/{link}/rungs/{number}",
    params(("link" = String, Path), ("number" = u16, Path)), request_body = Writing,
    responses((status = 200, body = WritingKept), (status = "default", body = Failure)))]
async fn write_on_desk(
    State(app): State<App>,
    session: Session,
    Path((link, number)): Path<(String, u16)>,
    Body(writing): Body<Writing>,
) -> Result<Json<WritingKept>, ApiError> {
    let Seat { mut kept, given: assigned, desk, index, progress } =
        seat(&app, &session, &link, number).await?;
    if progress.handed_in.is_some() {
        return Err(ApiError::bad(
            "This has been handed in. Ask your teacher to open it again if you want to go on.",
        ));
    }
    if writing.lines.len() > MOST_LINES {
        return Err(ApiError::bad("There is room for 60 lines. Take some out first."));
    }
    if writing.lines.iter().any(|line| line.text.len() > LONGEST_LINE) {
        return Err(ApiError::bad("This line is too long. Please split it into shorter lines."));
    }
    let given = writing.answer.filter(|answer| !answer.is_empty());
    if given.as_ref().is_some_and(|a| a.longest() > LONGEST_ANSWER || a.parts() > MOST_PARTS) {
        return Err(ApiError::bad(
            "This answer is too long. Write its working in the lines above.",
        ));
    }
    let rung = kept.ladder.rungs.swap_remove(index);
    let (lines, answer) = (writing.lines.clone(), given.clone());
    let alone = kept.alone;
    let judged = move || {
        let judgement = judge_with(&rung, &lines, answer.as_ref());
        if alone { judgement } else { judgement.asking_working(&rung) }
    };
    let judgement = app.pools.judging.run(Asker::student(kept.id, desk.id), judged).await?;
    let new = Written { rung: number, revision: 0, lines: writing.lines, answer: given, judgement };
    let revision = store::desk::save(&app.db, desk.id, writing.based_on, &new).await?;
    let judgement = told(new.judgement, kept.hints, waits(assigned.as_ref(), progress));
    Ok(Json(WritingKept { revision, judgement }))
}
