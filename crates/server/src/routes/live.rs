//! A live lesson as its teacher sees it: who is where, what was answered, and what stands on the wall.

mod view;

use self::view::{LiveEntry, LiveView, view, wall};
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
use live::taught::{Event, LessonPlace, MOST_QUESTIONS, Now, Pace, ShownAnswer, Tells, ToAsk};
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
