//! A live lesson as its teacher sees it: who is where, what was answered, and what stands on the wall.

use crate::app::App;
use crate::error::{ApiError, Failure};
use crate::extract::{Body, Path, Query};
use crate::live::{Room, by_teacher, now_ms};
use crate::routes::lessons::{Drawing, drawn};
use crate::session::SignedIn;
use crate::work::Asker;
use axum::Json;
use axum::extract::State;
use axum::extract::ws::rejection::WebSocketUpgradeRejection;
use axum::extract::ws::{Message, WebSocket, WebSocketUpgrade};
use axum::http::header::CONTENT_TYPE;
use axum::http::{HeaderMap, StatusCode};
use axum::response::{IntoResponse, Response};
use drawing::Scene;
use live::taught::{
    ClassQuestionView, Event, Given, Group, LessonPlace, MOST_QUESTIONS, Now, Offering, Pace,
    Question, ShownAnswer, Stuck, Tells, ToAsk, groups, offerings,
};
use serde::{Deserialize, Serialize};
use std::sync::Arc;
use std::time::Duration;
use store::live::{LiveLesson, OpenTo};
use store::{ClassId, LessonId, LiveId, StoreError};
use tokio::time::sleep;
use utoipa::ToSchema;
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

pub(crate) fn router() -> OpenApiRouter<App> {
    OpenApiRouter::new()
        .routes(routes!(list_live, open_live))
        .routes(routes!(look_at_live, remove_live))
        .routes(routes!(do_in_live))
        .routes(routes!(ask_in_live))
        .routes(routes!(walk_through_live))
        .routes(routes!(code_of_live))
        .routes(routes!(listen_to_live))
}

/// Shortest time between two things that a teacher's window is told, in milliseconds.
const WINDOW: Duration = Duration::from_millis(300);
/// The same for the wall.
const WALL: Duration = Duration::from_millis(40);

/// A live lesson in a list.
#[derive(Serialize, ToSchema)]
pub(crate) struct LiveEntry {
    id: LiveId,
    class: ClassId,
    #[serde(skip_serializing_if = "Option::is_none")]
    lesson: Option<LessonId>,
    title: String,
    /// Opens it to students, until it has ended.
    #[serde(skip_serializing_if = "Option::is_none")]
    code: Option<String>,
    /// When it began, in milliseconds of Unix time.
    began: i64,
    #[serde(skip_serializing_if = "Option::is_none")]
    ended: Option<i64>,
}

impl From<LiveLesson> for LiveEntry {
    fn from(one: LiveLesson) -> Self {
        let LiveLesson { id, class, lesson, title, code, began, ended, .. } = one;
        Self { id, class, lesson, title, code, began, ended }
    }
}

/// A student in a live lesson, as the teacher sees them.
#[derive(Serialize, ToSchema)]
struct LiveStudent {
    id: u64,
    name: String,
    #[serde(skip_serializing_if = "String::is_empty")]
    partner: String,
    /// Since when a hand is up, in milliseconds of Unix time.
    #[serde(skip_serializing_if = "Option::is_none")]
    hand: Option<i64>,
    place: LessonPlace,
    /// How often they answered the question that was asked last.
    tries: u16,
    /// Whether their answer to it is right; absent without an answer, or where it cannot be told.
    #[serde(skip_serializing_if = "Option::is_none")]
    right: Option<bool>,
    /// Why they may need help.
    #[serde(skip_serializing_if = "Option::is_none")]
    stuck: Option<Stuck>,
    /// How many questions they answered.
    answered: usize,
    /// How many of them are right.
    were_right: usize,
    /// When they did something last, in milliseconds of Unix time.
    last: i64,
}

/// A question as the teacher sees it.
#[derive(Serialize, ToSchema)]
struct LiveQuestion {
    number: u32,
    asked: ClassQuestionView,
    #[serde(skip_serializing_if = "Option::is_none")]
    scene: Option<Scene>,
    /// What is right, in words; empty where nothing is.
    right: String,
    tells: Tells,
    tries: u8,
    closed: bool,
    told: bool,
    /// How many have answered.
    answered: usize,
    /// What they answered, put together by what it means.
    groups: Vec<Group>,
    /// Drawings, each with who drew it.
    drawings: Vec<LiveDrawing>,
}

/// What a student drew.
#[derive(Serialize, ToSchema)]
struct LiveDrawing {
    student: u64,
    strokes: Vec<Vec<i16>>,
}

/// A question in the list of those that were asked.
#[derive(Serialize, ToSchema)]
struct LiveQuestionEntry {
    number: u32,
    prompt: String,
    answered: usize,
}

/// What a student wonders.
#[derive(Serialize, ToSchema)]
struct LiveWonder {
    id: u64,
    text: String,
}

/// A live lesson as its teacher sees it.
#[derive(Serialize, ToSchema)]
pub(crate) struct LiveView {
    live: LiveEntry,
    seq: u64,
    /// The time by the clock of the server, in milliseconds of Unix time.
    now: i64,
    place: LessonPlace,
    pace: Pace,
    paused: bool,
    slides: usize,
    students: Vec<LiveStudent>,
    #[serde(skip_serializing_if = "Option::is_none")]
    question: Option<LiveQuestion>,
    questions: Vec<LiveQuestionEntry>,
    wonders: Vec<LiveWonder>,
    /// What stands on the wall beside the slide.
    wall: LiveWall,
    /// What the slide on the wall offers to be asked.
    offers: Vec<Offering>,
}

/// An answer that stands on the wall, without a name.
#[derive(Serialize, ToSchema)]
pub(crate) struct WallAnswer {
    /// Its lines, typeset, or its text.
    lines: Vec<WallLine>,
    /// How many lines there are.
    of: usize,
    /// Strokes, where it is a drawing.
    #[serde(skip_serializing_if = "Vec::is_empty")]
    strokes: Vec<Vec<i16>>,
}

/// A line on the wall.
#[derive(Serialize, ToSchema)]
pub(crate) struct WallLine {
    /// For typesetting; empty for words.
    latex: String,
    text: String,
}

/// A share of the answers.
#[derive(Serialize, ToSchema)]
pub(crate) struct WallShare {
    ends: String,
    #[serde(skip_serializing_if = "String::is_empty")]
    latex: String,
    count: usize,
    /// Whether it is right; absent until that is told.
    #[serde(skip_serializing_if = "Option::is_none")]
    right: Option<bool>,
}

/// What stands on the wall of a live lesson, for everybody to see.
#[derive(Serialize, ToSchema)]
pub(crate) struct LiveWall {
    seq: u64,
    /// Opens it to students, until it has ended.
    #[serde(skip_serializing_if = "Option::is_none")]
    code: Option<String>,
    place: LessonPlace,
    paused: bool,
    ended: bool,
    /// How many are in.
    joined: usize,
    /// How many hands are up.
    hands: usize,
    /// The question that is open, or was told, in words; with its number.
    #[serde(skip_serializing_if = "Option::is_none")]
    question: Option<u32>,
    #[serde(skip_serializing_if = "String::is_empty")]
    prompt: String,
    /// Whether it takes answers.
    open: bool,
    answered: usize,
    /// What is right, once it was told.
    #[serde(skip_serializing_if = "Option::is_none")]
    right: Option<String>,
    answers: Vec<WallAnswer>,
    /// How many ended in what.
    shares: Vec<WallShare>,
    /// What somebody wonders.
    #[serde(skip_serializing_if = "Option::is_none")]
    wonder: Option<String>,
}

fn unknown(question: &Question) -> Option<String> {
    Some(question.asked.view().unknown).filter(|unknown| !unknown.is_empty())
}

fn grouped(now: &Now, number: u32, question: &Question) -> Vec<Group> {
    let marks = now.students.iter().filter_map(|(student, seat)| {
        seat.answers.get(&number).map(|answered| (*student, &answered.mark))
    });
    groups(marks, unknown(question).as_deref())
}

/// What stands on the wall.
pub(crate) fn wall(now: &Now, code: Option<String>) -> LiveWall {
    let question = now.question();
    let answer = |shown: &ShownAnswer, lines: u16| {
        let given = now.students.get(&shown.student)?.answers.get(&shown.question)?;
        Some(on_wall(given, lines))
    };
    let answers = now.on_wall.iter().zip([now.lines, 0]);
    let shares = now.shares.and_then(|number| Some((number, now.questions.get(&number)?)));
    let share = |told: bool| {
        move |group: Group| WallShare {
            count: group.students.len(),
            right: group.right.filter(|_| told),
            ends: group.ends,
            latex: group.latex,
        }
    };
    LiveWall {
        seq: now.seq,
        code: code.filter(|_| now.ended.is_none()),
        place: now.place,
        paused: now.paused,
        ended: now.ended.is_some(),
        joined: now.students.len(),
        hands: now.students.values().filter(|seat| seat.hand.is_some()).count(),
        question: question.map(|(number, _)| number),
        prompt: question.map(|(_, one)| one.asked.prompt().to_owned()).unwrap_or_default(),
        open: question.is_some_and(|(_, question)| !question.closed),
        answered: question.map_or(0, |(_, question)| question.answered),
        right: question.filter(|(_, one)| one.told).map(|(_, one)| one.asked.right()),
        answers: answers.filter_map(|(shown, lines)| answer(shown, lines)).collect(),
        shares: shares
            .map(|(number, one)| {
                grouped(now, number, one).into_iter().map(share(one.told)).take(8).collect()
            })
            .unwrap_or_default(),
        wonder: now.wonder.and_then(|wonder| now.wonders.get(&wonder)).cloned(),
    }
}

fn on_wall(answered: &live::taught::Answered, most: u16) -> WallAnswer {
    let text = |text: &str| WallLine { latex: String::new(), text: text.to_owned() };
    let mut lines = match (&answered.given, &answered.mark.judgement) {
        (_, Some(judgement)) => judgement
            .lines
            .iter()
            .chain(&judgement.answer)
            .map(|line| WallLine { latex: line.reading.clone(), text: line.plain.clone() })
            .collect(),
        (Given::Judged { is_true, why }, _) => {
            let word = if *is_true { "True" } else { "False" };
            [word, why.as_str()].into_iter().filter(|part| !part.is_empty()).map(text).collect()
        }
        (Given::Drawing { .. }, _) => Vec::new(),
        _ => {
            vec![WallLine { latex: answered.mark.latex.clone(), text: answered.mark.ends.clone() }]
        }
    };
    let of = lines.len();
    if most > 0 {
        lines.truncate(usize::from(most));
    }
    let strokes = match &answered.given {
        Given::Drawing { strokes } => strokes.clone(),
        _ => Vec::new(),
    };
    WallAnswer { lines, of, strokes }
}

/// All that a teacher sees.
fn view(mut live: LiveLesson, now: &Now, lesson: &lesson::Lesson, at: i64) -> LiveView {
    // What the events say is newer than what was read when somebody began to listen.
    if now.ended.is_some() {
        (live.ended, live.code) = (now.ended, None);
    }
    let question = now.question();
    let student = |(id, seat): (&u64, &live::taught::Seated)| {
        let answered = question.and_then(|(number, _)| seat.answers.get(&number));
        LiveStudent {
            id: *id,
            name: seat.name.clone(),
            partner: seat.partner.clone(),
            hand: seat.hand,
            place: now.place_of(*id),
            tries: answered.map_or(0, |one| one.tries),
            right: answered.and_then(|one| one.mark.right),
            stuck: now.stuck(*id, at),
            answered: seat.answers.len(),
            were_right: seat.answers.values().filter(|one| one.mark.right == Some(true)).count(),
            last: seat.last,
        }
    };
    let full = |(number, question): (u32, &Question)| {
        let drawing = |(student, seat): (&u64, &live::taught::Seated)| match &seat
            .answers
            .get(&number)?
            .given
        {
            Given::Drawing { strokes } => {
                Some(LiveDrawing { student: *student, strokes: strokes.clone() })
            }
            _ => None,
        };
        LiveQuestion {
            number,
            asked: question.asked.view(),
            scene: question.asked.figure().map(drawing::draw),
            right: question.asked.right(),
            tells: question.tells,
            tries: question.tries,
            closed: question.closed,
            told: question.told,
            answered: question.answered,
            groups: grouped(now, number, question),
            drawings: now.students.iter().filter_map(drawing).collect(),
        }
    };
    let slide = lesson.slides.get(usize::from(now.place.slide));
    let entry = |(number, question): (&u32, &Question)| LiveQuestionEntry {
        number: *number,
        prompt: question.asked.prompt().to_owned(),
        answered: question.answered,
    };
    LiveView {
        seq: now.seq,
        now: at,
        place: now.place,
        pace: now.pace,
        paused: now.paused,
        slides: lesson.slides.len(),
        students: now.students.iter().map(student).collect(),
        question: question.map(full),
        questions: now.questions.iter().map(entry).collect(),
        wonders: now
            .wonders
            .iter()
            .map(|(id, text)| LiveWonder { id: *id, text: text.clone() })
            .collect(),
        wall: wall(now, live.code.clone()),
        offers: slide.map(offerings).unwrap_or_default(),
        live: live.into(),
    }
}

async fn room(
    app: &App,
    teacher: SignedIn,
    id: LiveId,
) -> Result<(LiveLesson, Arc<Room>), ApiError> {
    let live = store::live::find(&app.db, teacher.0, id).await?;
    let room = app.rooms.room(&live).await?;
    Ok((live, room))
}

/// Which live lessons are listed.
#[derive(Deserialize)]
struct WhichLive {
    class: Option<ClassId>,
    lesson: Option<LessonId>,
}

/// One's own live lessons, the latest first.
#[utoipa::path(get, path = "/api/live",
    params(("class" = Option<u64>, Query), ("lesson" = Option<u64>, Query)),
    responses((status = 200, body = Vec<LiveEntry>), (status = "default", body = Failure)))]
async fn list_live(
    State(app): State<App>,
    teacher: SignedIn,
    Query(which): Query<WhichLive>,
) -> Result<Json<Vec<LiveEntry>>, ApiError> {
    let WhichLive { class, lesson } = which;
    let all = store::live::of_teacher(&app.db, teacher.0, class, lesson).await?;
    Ok(Json(all.into_iter().map(LiveEntry::from).collect()))
}

/// A lesson that is opened to a class.
#[derive(Deserialize, ToSchema)]
struct OpenedLive {
    lesson: LessonId,
    /// The class; absent for whoever has the code.
    #[serde(default)]
    class: Option<ClassId>,
}

/// A live lesson that was opened.
#[derive(Serialize, ToSchema)]
struct LiveOpened {
    id: LiveId,
}

/// Opens a lesson to a class. One that is open already goes on.
#[utoipa::path(post, path = "/api/live", request_body = OpenedLive,
    responses((status = 200, body = LiveOpened), (status = "default", body = Failure)))]
async fn open_live(
    State(app): State<App>,
    teacher: SignedIn,
    Body(OpenedLive { lesson: id, class }): Body<OpenedLive>,
) -> Result<Json<LiveOpened>, ApiError> {
    let owner = app.editor(teacher, id).await?;
    let lesson = store::lesson::find(&app.db, owner, id).await?.lesson;
    let to = class.map_or(OpenTo::Anyone, OpenTo::Class);
    let live = store::live::begin(&app.db, teacher.0, (id, &lesson), to, now_ms()).await;
    let id = live.map_err(|error| match error {
        StoreError::Full => {
            ApiError::bad("This class has 400 live lessons, or you have 120 classes. Take one out.")
        }
        other => other.into(),
    })?;
    Ok(Json(LiveOpened { id }))
}

/// Looks at a live lesson, while it goes on or after.
#[utoipa::path(get, path = "/api/live/{id}", params(("id" = u64, Path)),
    responses((status = 200, body = LiveView), (status = "default", body = Failure)))]
async fn look_at_live(
    State(app): State<App>,
    teacher: SignedIn,
    Path(id): Path<LiveId>,
) -> Result<Json<LiveView>, ApiError> {
    let (live, room) = room(&app, teacher, id).await?;
    Ok(Json(seen(&app, teacher, live, room).await?))
}

async fn seen(
    app: &App,
    teacher: SignedIn,
    live: LiveLesson,
    room: Arc<Room>,
) -> Result<LiveView, ApiError> {
    let at = now_ms();
    app.make(teacher, move || room.look(|now| view(live.clone(), now, &room.lesson, at))).await
}

/// Takes a live lesson away with all that happened in it.
#[utoipa::path(delete, path = "/api/live/{id}", params(("id" = u64, Path)),
    responses((status = 204), (status = "default", body = Failure)))]
async fn remove_live(
    State(app): State<App>,
    teacher: SignedIn,
    Path(id): Path<LiveId>,
) -> Result<StatusCode, ApiError> {
    store::live::remove(&app.db, teacher.0, id).await?;
    Ok(StatusCode::NO_CONTENT)
}

/// What a teacher does in a live lesson.
#[derive(Deserialize, ToSchema)]
#[serde(tag = "kind", rename_all = "snake_case")]
enum TeacherDoes {
    /// Goes to a place.
    Moved { place: LessonPlace },
    /// Sets the pace.
    Paced { pace: Pace },
    /// Has students look up, or go on.
    Paused { paused: bool },
    /// Closes a question, or opens it again.
    Closed { question: u32, closed: bool },
    /// Tells what is right.
    Told { question: u32 },
    /// Puts at most two answers on the wall; none takes them down.
    OnWall {
        answers: Vec<ShownAnswer>,
        /// How many lines of the first one show; 0 for all.
        #[serde(default)]
        lines: u16,
    },
    /// Puts the shares of the answers on the wall, or takes them down.
    SharesOnWall {
        #[serde(default)]
        question: Option<u32>,
    },
    /// Has seen a raised hand.
    HandSeen { student: u64 },
    /// Puts what a student wonders on the wall, or takes it down.
    WonderOnWall {
        #[serde(default)]
        wonder: Option<u64>,
    },
    /// Closes the lesson.
    Ended,
}

impl TeacherDoes {
    fn event(self) -> Event {
        match self {
            Self::Moved { place } => Event::Moved { place },
            Self::Paced { pace } => Event::Paced { pace },
            Self::Paused { paused } => Event::Paused { paused },
            Self::Closed { question, closed } => Event::Closed { question, closed },
            Self::Told { question } => Event::Told { question },
            Self::OnWall { mut answers, lines } => {
                answers.truncate(2);
                Event::OnWall { answers, lines }
            }
            Self::SharesOnWall { question } => Event::SharesOnWall { question },
            Self::HandSeen { student } => Event::HandSeen { student },
            Self::WonderOnWall { wonder } => Event::WonderOnWall { wonder },
            Self::Ended => Event::Ended,
        }
    }
}

/// How far a lesson has come.
#[derive(Serialize, ToSchema)]
struct LiveKept {
    seq: u64,
}

/// Does something in a live lesson.
#[utoipa::path(post, path = "/api/live/{id}/events", params(("id" = u64, Path)),
    request_body = TeacherDoes,
    responses((status = 200, body = LiveKept), (status = "default", body = Failure)))]
async fn do_in_live(
    State(app): State<App>,
    teacher: SignedIn,
    Path(id): Path<LiveId>,
    Body(does): Body<TeacherDoes>,
) -> Result<Json<LiveKept>, ApiError> {
    let (_, room) = room(&app, teacher, id).await?;
    let seq = room.keep(by_teacher(does.event())).await?;
    Ok(Json(LiveKept { seq }))
}

/// What the class is asked, and how.
#[derive(Deserialize, ToSchema)]
struct Asking {
    wanted: ToAsk,
    /// When they see what is said of it.
    #[serde(default)]
    tells: Tells,
    /// How often they may answer; 0 for as often as they like.
    #[serde(default)]
    tries: u8,
}

/// Asks the class something.
#[utoipa::path(post, path = "/api/live/{id}/questions", params(("id" = u64, Path)),
    request_body = Asking,
    responses((status = 200, body = LiveKept), (status = "default", body = Failure)))]
async fn ask_in_live(
    State(app): State<App>,
    teacher: SignedIn,
    Path(id): Path<LiveId>,
    Body(Asking { wanted, tells, tries }): Body<Asking>,
) -> Result<Json<LiveKept>, ApiError> {
    let (_, room) = room(&app, teacher, id).await?;
    let question = room.look(Now::next_question);
    if usize::try_from(question).is_ok_and(|number| number > MOST_QUESTIONS) {
        return Err(ApiError::bad("A lesson has room for 200 questions. Begin a new one."));
    }
    let asked = {
        let room = Arc::clone(&room);
        let now = Arc::new(room.look(|now| Now { students: Default::default(), ..now.clone() }));
        app.make(teacher, move || wanted.asked(&room.lesson, &now)).await?
    };
    let asked = Box::new(asked.map_err(ApiError::bad)?);
    let seq = room.keep(by_teacher(Event::Asked { asked, tells, tries })).await?;
    Ok(Json(LiveKept { seq }))
}

/// Up to which event.
#[derive(Deserialize)]
struct UpTo {
    seq: u64,
}

/// A live lesson at one of its events.
#[derive(Serialize, ToSchema)]
struct LiveMoment {
    view: LiveView,
    /// The event before which it began, and the one after which nothing came.
    last: u64,
    /// When that event was, in milliseconds since the lesson began.
    after: i64,
    /// Its slide and how it is revealed.
    #[serde(skip_serializing_if = "Option::is_none")]
    slide: Option<lesson::Slide>,
    #[serde(skip_serializing_if = "Option::is_none")]
    reveal: Option<lesson::SlideReveal>,
    pictures: Vec<Drawing>,
}

/// Walks through a live lesson again: how it stood after an event.
#[utoipa::path(get, path = "/api/live/{id}/at", params(("id" = u64, Path), ("seq" = u64, Query)),
    responses((status = 200, body = LiveMoment), (status = "default", body = Failure)))]
async fn walk_through_live(
    State(app): State<App>,
    teacher: SignedIn,
    Path(id): Path<LiveId>,
    Query(UpTo { seq }): Query<UpTo>,
) -> Result<Json<LiveMoment>, ApiError> {
    let live = store::live::find(&app.db, teacher.0, id).await?;
    let lesson = store::live::document(&app.db, id).await?;
    let mut now = Now::default();
    let mut at = live.began;
    'all: loop {
        let events = store::live::since(&app.db, id, now.seq).await?;
        if events.is_empty() {
            break;
        }
        for event in &events {
            if event.seq > seq {
                break 'all;
            }
            now.add(event);
            at = event.at;
        }
    }
    let last = live.seq;
    let moment = move || {
        let slide = lesson.slides.get(usize::from(now.place.slide));
        LiveMoment {
            view: view(live.clone(), &now, &lesson, at),
            last,
            after: at - live.began,
            reveal: slide.map(lesson::Slide::reveal),
            pictures: drawn(slide.iter().flat_map(|slide| slide.figures())),
            slide: slide.cloned(),
        }
    };
    Ok(Json(app.make(teacher, moment).await?))
}

/// The way in to a live lesson, for a camera.
#[utoipa::path(get, path = "/api/live/{id}/code.svg", params(("id" = u64, Path)),
    responses((status = 200, body = String, content_type = "image/svg+xml"), (status = "default", body = Failure)))]
async fn code_of_live(
    State(app): State<App>,
    teacher: SignedIn,
    headers: HeaderMap,
    Path(id): Path<LiveId>,
) -> Result<Response, ApiError> {
    let live = store::live::find(&app.db, teacher.0, id).await?;
    let code = live.code.ok_or_else(|| ApiError::not_found("This lesson is over."))?;
    let address = format!("{}/join/{code}", super::accounts::home(&app, &headers));
    let drawn = drawing::qr(&address)
        .ok_or_else(|| ApiError::bad("The name of this site is too long for a code."))?;
    Ok(([(CONTENT_TYPE, "image/svg+xml")], drawn).into_response())
}

/// As what a window listens.
#[derive(Deserialize)]
struct Listening {
    #[serde(default)]
    wall: bool,
}

/// Tells a teacher's window, or the wall, what happens.
#[utoipa::path(get, path = "/api/live/{id}/socket",
    params(("id" = u64, Path), ("wall" = Option<bool>, Query)),
    responses((status = 101), (status = "default", body = Failure)))]
async fn listen_to_live(
    State(app): State<App>,
    teacher: SignedIn,
    headers: HeaderMap,
    Path(id): Path<LiveId>,
    Query(Listening { wall: is_wall }): Query<Listening>,
    socket: Result<WebSocketUpgrade, WebSocketUpgradeRejection>,
) -> Result<Response, ApiError> {
    super::own_page(&headers)?;
    let (live, room) = room(&app, teacher, id).await?;
    room.has_place()?;
    let socket = socket.map_err(|_| super::no_socket())?;
    let socket = socket.max_message_size(1 << 10).read_buffer_size(1 << 10);
    Ok(socket.on_upgrade(move |socket| async move {
        tell(app, teacher, live, room, socket, is_wall).await;
    }))
}

async fn tell(
    app: App,
    teacher: SignedIn,
    live: LiveLesson,
    room: Arc<Room>,
    mut socket: WebSocket,
    is_wall: bool,
) {
    let mut heard = room.listen();
    loop {
        heard.mark_unchanged();
        let told = if is_wall {
            let (room, code) = (Arc::clone(&room), live.code.clone());
            let asker = Asker::teacher(teacher.0);
            let made = move || room.look(|now| serde_json::to_string(&wall(now, code.clone())));
            app.pools.judging.run(asker, made).await
        } else {
            let seen = seen(&app, teacher, live.clone(), Arc::clone(&room)).await;
            seen.map(|view| serde_json::to_string(&view))
        };
        // What could not be made now is made with what comes next.
        if let Ok(Ok(text)) = told
            && socket.send(Message::Text(text.into())).await.is_err()
        {
            return;
        }
        sleep(if is_wall { WALL } else { WINDOW }).await;
        if !super::join::until_heard(&mut socket, &mut heard).await {
            return;
        }
    }
}
