//! Ladders that are given to a class, and what came back.

use crate::app::App;
use crate::error::{ApiError, Failure};
use crate::extract::{Body, Path};
use crate::routes::classes::AssignmentEntry;
use crate::routes::ladders::{NewLadder, RungView, views};
use crate::routes::results::methods;
use crate::session::{self, SignedIn};
use crate::text::is_visible;
use axum::Json;
use axum::extract::State;
use axum::http::StatusCode;
use desk::{JudgedLine, Judgement};
use live::Standing;
use serde::{Deserialize, Serialize};
use skills::ids::Methods;
use skills::ladder::Ladder;
use std::collections::BTreeMap;
use store::assignment::{
    self, AssignmentRules, Feedback, Given, MOST_TRIES, NewAssignment, Remark, To, Work,
};
use store::ladder::{KeptLadder, STRONGEST_HINT};
use store::{AssignmentId, ClassId, DeskId, LadderId, StoreError, StudentId};
use utoipa::ToSchema;
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

pub(crate) fn router() -> OpenApiRouter<App> {
    OpenApiRouter::new()
        .routes(routes!(give_ladder))
        .routes(routes!(give_by_link))
        .routes(routes!(open_assignment, change_assignment, take_assignment_back))
        .routes(routes!(give_back))
        .routes(routes!(open_desk_again))
        .routes(routes!(say_of_rung))
}

/// Longest remark, in characters.
const LONGEST_REMARK: usize = 400;
/// What a rung may be marked with.
const MARKS: &[&str] = &["right", "partly", "again"];

fn checked(rules: AssignmentRules) -> Result<(), ApiError> {
    if rules.hints > STRONGEST_HINT {
        return Err(ApiError::bad("Hints come in three strengths: choose 0, 1, 2 or 3."));
    }
    if rules.tries > MOST_TRIES {
        return Err(ApiError::bad("Choose at most 20 tries, or as many as they like."));
    }
    if rules.feedback == Feedback::AfterDue && rules.due.is_none() {
        return Err(ApiError::bad("Choose a date: what holds is told when that day is over."));
    }
    Ok(())
}

/// A ladder that is given to a class: one that is kept, or one that is made for it.
#[derive(Deserialize, ToSchema)]
struct GivenLadder {
    /// A ladder that is kept.
    #[serde(default)]
    ladder: Option<LadderId>,
    /// A ladder that is made for it; it stands on the shelf then.
    #[serde(default)]
    made: Option<NewLadder>,
    /// The student of the class whom alone it is for.
    #[serde(default)]
    student: Option<StudentId>,
    rules: AssignmentRules,
}

/// An assignment that was given.
#[derive(Serialize, ToSchema)]
struct AssignmentMade {
    id: AssignmentId,
}

/// Gives a ladder to a class, or to one student of it, worked by the methods of the class.
#[utoipa::path(post, path = "/api/classes/{id}/assignments", params(("id" = u64, Path)),
    request_body = GivenLadder,
    responses((status = 200, body = AssignmentMade), (status = "default", body = Failure)))]
async fn give_ladder(
    State(app): State<App>,
    teacher: SignedIn,
    Path(class): Path<ClassId>,
    Body(new): Body<GivenLadder>,
) -> Result<Json<AssignmentMade>, ApiError> {
    let GivenLadder { ladder, made, student, rules } = new;
    checked(rules)?;
    let methods = methods(&store::class::find(&app.db, teacher.0, class).await?.methods);
    let to = student.map_or(To::Class(class), |student| To::Student(class, student));
    let id = match (ladder, made) {
        (Some(ladder), None) => {
            let taught = taught(&app, teacher, ladder, methods).await?;
            let given = Given::Kept(ladder, taught.as_ref());
            let new = NewAssignment { to, given, rules };
            assignment::create(&app.db, teacher.0, new).await
        }
        (None, Some(made)) => {
            let (title, plan, ladder) = made.made(&app, teacher).await?;
            let given = Given::New(&title, &ladder, &plan);
            let new = NewAssignment { to, given, rules };
            assignment::create(&app.db, teacher.0, new).await
        }
        _ => return Err(ApiError::bad("Choose the ladder that you want to give.")),
    };
    let id = id.map_err(|error| match error {
        StoreError::Full => ApiError::bad("This class has 400 assignments. Take some back first."),
        other => other.into(),
    })?;
    Ok(Json(AssignmentMade { id }))
}

/// A ladder that is given to whoever has its link.
#[derive(Deserialize, ToSchema)]
struct LadderByLink {
    ladder: LadderId,
    rules: AssignmentRules,
}

/// Gives a ladder to whoever has its link: who opens it adds themselves with a first name, to a class that is made for it.
#[utoipa::path(post, path = "/api/assignments", request_body = LadderByLink,
    responses((status = 200, body = AssignmentMade), (status = "default", body = Failure)))]
async fn give_by_link(
    State(app): State<App>,
    teacher: SignedIn,
    Body(LadderByLink { ladder, rules }): Body<LadderByLink>,
) -> Result<Json<AssignmentMade>, ApiError> {
    checked(rules)?;
    let kept = store::ladder::find(&app.db, teacher.0, ladder).await?;
    let given = Given::Kept(ladder, None);
    let new = NewAssignment { to: To::Link(grade_of(&kept.ladder)), given, rules };
    let id = assignment::create(&app.db, teacher.0, new).await.map_err(|error| match error {
        StoreError::Full => ApiError::bad("You have 120 classes. Take one out first."),
        other => other.into(),
    })?;
    Ok(Json(AssignmentMade { id }))
}

/// The grade in which all that a ladder asks has been begun.
fn grade_of(ladder: &Ladder) -> u8 {
    let first = |rung: &skills::ladder::Rung| Some(skills::find(&rung.skill)?.card().grades.0);
    ladder.rungs.iter().filter_map(first).max().unwrap_or(8)
}

/// A kept ladder worked by a class's methods; none where that changes nothing.
async fn taught(
    app: &App,
    teacher: SignedIn,
    ladder: LadderId,
    methods: Methods,
) -> Result<Option<Ladder>, ApiError> {
    let kept = store::ladder::find(&app.db, teacher.0, ladder).await?;
    let Some(plan) = kept.plan.and_then(|plan| plan.taught(&methods)) else { return Ok(None) };
    // A ladder of a catalogue that has changed since is given as it was posed.
    Ok(app.make(teacher, move || plan.ladder()).await?.ok())
}

/// What a student wrote on one rung, with what was said of it.
#[derive(Serialize, ToSchema)]
struct HandedRung {
    /// From 1.
    number: u16,
    lines: Vec<JudgedLine>,
    #[serde(skip_serializing_if = "Option::is_none")]
    answer: Option<JudgedLine>,
    standing: Option<Standing>,
    /// Rungs of students that end in the same have the same number.
    #[serde(skip_serializing_if = "Option::is_none")]
    alike: Option<usize>,
    /// `right`, `partly` or `again`.
    #[serde(skip_serializing_if = "Option::is_none")]
    mark: Option<String>,
    #[serde(skip_serializing_if = "Option::is_none")]
    remark: Option<String>,
}

/// A student's work for an assignment.
#[derive(Serialize, ToSchema)]
struct HandedWork {
    student: StudentId,
    name: String,
    /// Absent before they opened it.
    #[serde(skip_serializing_if = "Option::is_none")]
    desk: Option<DeskId>,
    /// When it was handed in, as Unix time in seconds.
    #[serde(skip_serializing_if = "Option::is_none")]
    handed_in: Option<i64>,
    /// When it was given back.
    #[serde(skip_serializing_if = "Option::is_none")]
    given_back: Option<i64>,
    /// Which try is shown: the one that counts.
    nth: u8,
    /// How many tries they began.
    tries: u8,
    rungs: Vec<HandedRung>,
    /// The problems of this try, where it has numbers of its own.
    #[serde(skip_serializing_if = "Vec::is_empty")]
    own: Vec<RungView>,
}

impl From<Work> for HandedWork {
    fn from(work: Work) -> Self {
        let Work { student, desk, name, progress, tries: (nth, tries), remarks, .. } = work;
        let said = |number: u16| remarks.iter().find(|remark| remark.rung == number);
        let rung = |written: &store::desk::Written| HandedRung {
            number: written.rung,
            lines: written.judgement.lines.clone(),
            answer: written.judgement.answer.clone(),
            standing: Standing::of(&written.judgement),
            alike: None,
            mark: said(written.rung).and_then(|remark| remark.mark.clone()),
            remark: said(written.rung).and_then(|remark| remark.remark.clone()),
        };
        let rungs = desk.iter().flat_map(|desk| &desk.written).map(rung).collect();
        Self {
            student,
            name,
            desk: desk.map(|desk| desk.id),
            handed_in: progress.handed_in,
            given_back: progress.given_back,
            nth,
            tries,
            rungs,
            own: Vec::new(),
        }
    }
}

/// An assignment with what came of it.
#[derive(Serialize, ToSchema)]
struct AssignmentView {
    assignment: AssignmentEntry,
    class: ClassId,
    /// The rungs as they were given.
    rungs: Vec<RungView>,
    work: Vec<HandedWork>,
}

/// Opens an assignment with what every student of the class wrote.
#[utoipa::path(get, path = "/api/assignments/{id}", params(("id" = u64, Path)),
    responses((status = 200, body = AssignmentView), (status = "default", body = Failure)))]
async fn open_assignment(
    State(app): State<App>,
    teacher: SignedIn,
    Path(id): Path<AssignmentId>,
) -> Result<Json<AssignmentView>, ApiError> {
    let found = assignment::find(&app.db, teacher.0, id).await?;
    let kept = assignment::ladder(&app.db, &found).await?;
    let work = assignment::work(&app.db, teacher.0, id).await?;
    let read = move || (views(&kept), grouped(&kept, work.clone()));
    let (rungs, work) = app.make(teacher, read).await?;
    Ok(Json(AssignmentView { class: found.class, assignment: found.into(), rungs, work }))
}

/// The work of all students, with what is alike of each rung.
fn grouped(kept: &KeptLadder, work: Vec<Work>) -> Vec<HandedWork> {
    let mut alike: BTreeMap<(StudentId, u16), usize> = BTreeMap::new();
    for (rung, number) in kept.ladder.rungs.iter().zip(1u16..) {
        // Under other numbers the same answer means something else.
        let written: Vec<(StudentId, &Judgement)> = work
            .iter()
            .filter(|one| one.ladder.is_none())
            .flat_map(|one| one.desk.iter().map(move |desk| (one.student, desk)))
            .flat_map(|(student, desk)| desk.written.iter().map(move |rung| (student, rung)))
            .filter(|(_, written)| written.rung == number)
            .map(|(student, written)| (student, &written.judgement))
            .collect();
        let desks: Vec<&Judgement> = written.iter().map(|(_, judgement)| *judgement).collect();
        for ((student, _), group) in written.iter().zip(live::alike(rung, &desks)) {
            alike.extend(group.map(|group| ((*student, number), group)));
        }
    }
    let handed = |mut one: Work| {
        let own = one.ladder.take().map(|ladder| KeptLadder { ladder, ..kept.clone() });
        let mut handed = HandedWork::from(one);
        handed.own = own.as_ref().map(views).unwrap_or_default();
        for rung in &mut handed.rungs {
            rung.alike = alike.get(&(handed.student, rung.number)).copied();
        }
        handed
    };
    work.into_iter().map(handed).collect()
}

/// Changes what holds for an assignment.
#[utoipa::path(put, path = "/api/assignments/{id}", params(("id" = u64, Path)),
    request_body = AssignmentRules,
    responses((status = 204), (status = "default", body = Failure)))]
async fn change_assignment(
    State(app): State<App>,
    teacher: SignedIn,
    Path(id): Path<AssignmentId>,
    Body(rules): Body<AssignmentRules>,
) -> Result<StatusCode, ApiError> {
    checked(rules)?;
    assignment::set(&app.db, teacher.0, id, rules).await?;
    Ok(StatusCode::NO_CONTENT)
}

/// Takes an assignment back, with all that was written for it.
#[utoipa::path(delete, path = "/api/assignments/{id}", params(("id" = u64, Path)),
    responses((status = 204), (status = "default", body = Failure)))]
async fn take_assignment_back(
    State(app): State<App>,
    teacher: SignedIn,
    Path(id): Path<AssignmentId>,
) -> Result<StatusCode, ApiError> {
    assignment::remove(&app.db, teacher.0, id).await?;
    Ok(StatusCode::NO_CONTENT)
}

/// Whose work is given back.
#[derive(Deserialize, ToSchema)]
struct GivenBack {
    /// One desk; absent for all that were handed in.
    #[serde(default)]
    desk: Option<DeskId>,
}

/// How many were given back.
#[derive(Serialize, ToSchema)]
struct CountGivenBack {
    count: u64,
}

/// Gives back what was handed in: its students see marks, remarks and the key.
#[utoipa::path(post, path = "/api/assignments/{id}/give-back", params(("id" = u64, Path)),
    request_body = GivenBack,
    responses((status = 200, body = CountGivenBack), (status = "default", body = Failure)))]
async fn give_back(
    State(app): State<App>,
    teacher: SignedIn,
    Path(id): Path<AssignmentId>,
    Body(which): Body<GivenBack>,
) -> Result<Json<CountGivenBack>, ApiError> {
    let now = session::now();
    let count = assignment::give_back(&app.db, teacher.0, id, which.desk, now).await?;
    Ok(Json(CountGivenBack { count }))
}

/// Lets a student write on: what was handed in is open again.
#[utoipa::path(post, path = "/api/assignments/{id}/desks/{desk}/open",
    params(("id" = u64, Path), ("desk" = u64, Path)),
    responses((status = 204), (status = "default", body = Failure)))]
async fn open_desk_again(
    State(app): State<App>,
    teacher: SignedIn,
    Path((id, desk)): Path<(AssignmentId, DeskId)>,
) -> Result<StatusCode, ApiError> {
    assignment::open_again(&app.db, teacher.0, id, desk).await?;
    Ok(StatusCode::NO_CONTENT)
}

/// What is said of a rung.
#[derive(Deserialize, ToSchema)]
struct RungRemark {
    /// `right`, `partly`, `again`, or none.
    #[serde(default)]
    mark: Option<String>,
    /// In words; none or empty for nothing.
    #[serde(default)]
    remark: Option<String>,
}

/// Says something of a rung that a student wrote on.
#[utoipa::path(put, path = "/api/assignments/{id}/desks/{desk}/rungs/{rung}",
    params(("id" = u64, Path), ("desk" = u64, Path), ("rung" = u16, Path)),
    request_body = RungRemark,
    responses((status = 204), (status = "default", body = Failure)))]
async fn say_of_rung(
    State(app): State<App>,
    teacher: SignedIn,
    Path((id, desk, rung)): Path<(AssignmentId, DeskId, u16)>,
    Body(said): Body<RungRemark>,
) -> Result<StatusCode, ApiError> {
    if said.mark.as_deref().is_some_and(|mark| !MARKS.contains(&mark)) {
        return Err(ApiError::bad("A mark is “right”, “partly” or “again”."));
    }
    let remark = said.remark.map(|text| text.trim().to_owned()).filter(|text| !text.is_empty());
    if remark
        .as_ref()
        .is_some_and(|text| text.chars().count() > LONGEST_REMARK || !is_visible(text))
    {
        return Err(ApiError::bad("A remark has at most 400 letters."));
    }
    let new = Remark { desk, rung, mark: said.mark, remark };
    assignment::say(&app.db, teacher.0, id, &new).await?;
    Ok(StatusCode::NO_CONTENT)
}
