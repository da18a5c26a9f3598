//! A live lesson as a student sees it: they join with a code, stand where the class stands, and answer.

use crate::address::Address;
use crate::app::App;
use crate::error::{ApiError, Failure};
use crate::extract::{Body, Path};
use crate::live::Room;
use crate::routes::lessons::{Drawing, drawn};
use crate::routes::students::come_in;
use crate::session;
use crate::text::is_visible;
use crate::work::Asker;
use axum::Json;
use axum::extract::State;
use axum::extract::ws::rejection::WebSocketUpgradeRejection;
use axum::extract::ws::{Message, WebSocket, WebSocketUpgrade};
use axum::http::HeaderMap;
use axum::http::header::{CACHE_CONTROL, CONTENT_TYPE};
use axum::response::{IntoResponse, Response};
use desk::Judgement;
use drawing::Scene;
use lesson::{Meaning, Slide, SlideReveal, Theme};
use live::taught::{
    ClassQuestionView, Event, Given, LONGEST_TEXT, LessonPlace, Now, Pace, Question, mark, seen,
};
use serde::{Deserialize, Serialize};
use std::sync::Arc;
use std::time::Duration;
use store::attempt::{self, Allowed};
use store::live::{LiveLesson, NewEvent};
use store::{StoreError, StudentId};
use tokio::sync::watch;
use tokio::time::timeout;
use tower_sessions::Session;
use utoipa::ToSchema;
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

pub(crate) fn router() -> OpenApiRouter<App> {
    OpenApiRouter::new()
        .routes(routes!(look_at_join, join_live))
        .routes(routes!(slide_of_live))
        .routes(routes!(do_as_student))
        .routes(routes!(listen_as_student))
}

/// Codes that are tried from one address by those who are in no such lesson; a whole school may have one address.
const CODES_OF_ADDRESS: Allowed = Allowed { times: 6_000, seconds: 3_600 };
/// How often a socket is asked whether anybody is still there.
const ALIVE: Duration = Duration::from_secs(25);
/// Longest first name.
const LONGEST_NAME: usize = 40;

/// A live lesson as a student sees it.
#[derive(Serialize, ToSchema)]
struct JoinView {
    title: String,
    /// Whether a first name is enough to come in.
    is_open: bool,
    /// Who this is; absent before they said so.
    #[serde(skip_serializing_if = "Option::is_none")]
    student: Option<String>,
    /// The code that brings them back from another device, where they added themselves.
    #[serde(skip_serializing_if = "Option::is_none")]
    code: Option<String>,
    /// How it stands; absent before they are in.
    #[serde(skip_serializing_if = "Option::is_none")]
    now: Option<StudentNow>,
}

/// How a live lesson stands for a student.
#[derive(Serialize, ToSchema)]
struct StudentNow {
    seq: u64,
    name: String,
    #[serde(skip_serializing_if = "String::is_empty")]
    partner: String,
    place: LessonPlace,
    pace: Pace,
    /// How many slides there are, and how many moments the slide has on which they stand.
    slides: usize,
    steps: usize,
    paused: bool,
    ended: bool,
    hand: bool,
    #[serde(skip_serializing_if = "Option::is_none")]
    question: Option<StudentQuestion>,
}

/// A question as a student sees it.
#[derive(Serialize, ToSchema)]
struct StudentQuestion {
    number: u32,
    asked: ClassQuestionView,
    #[serde(skip_serializing_if = "Option::is_none")]
    scene: Option<Scene>,
    /// Whether they may answer, now or once more.
    open: bool,
    /// What they answered last.
    #[serde(skip_serializing_if = "Option::is_none")]
    given: Option<Given>,
    tries: u16,
    /// What is said of it, once that is told.
    #[serde(skip_serializing_if = "Option::is_none")]
    said: Option<SaidOfAnswer>,
    /// What is right, once it is told.
    #[serde(skip_serializing_if = "Option::is_none")]
    right: Option<String>,
}

/// What is said of an answer.
#[derive(Serialize, ToSchema)]
struct SaidOfAnswer {
    /// Absent where nothing is right or wrong, or where it cannot be told.
    #[serde(skip_serializing_if = "Option::is_none")]
    right: Option<bool>,
    /// The slip, as a sentence.
    #[serde(skip_serializing_if = "String::is_empty")]
    slip: String,
    #[serde(skip_serializing_if = "Option::is_none")]
    judgement: Option<Judgement>,
}

/// A slide as a student sees it.
#[derive(Serialize, ToSchema)]
struct StudentSlide {
    place: LessonPlace,
    slide: Slide,
    reveal: SlideReveal,
    pictures: Vec<Drawing>,
    theme: Theme,
    meanings: Vec<Meaning>,
}

/// The live lesson of a code. Whoever is in none of that class has their tries counted, whether they are right or not.
async fn of_code(
    app: &App,
    address: Address,
    session: &Session,
    code: &str,
) -> Result<LiveLesson, ApiError> {
    let found = match app.rooms.of_code(code) {
        Some(live) => Some(live),
        None => match store::live::by_code(&app.db, code).await {
            Ok(live) => Some(live),
            Err(StoreError::NotFound) => None,
            Err(error) => return Err(error.into()),
        },
    };
    if let Some(live) = &found
        && session::student(session, live.class).await?.is_some()
    {
        return found.ok_or_else(no_such_code);
    }
    let now = session::now();
    attempt::count(&app.db, &format!("live {address}"), CODES_OF_ADDRESS, now).await?;
    found.ok_or_else(no_such_code)
}

fn no_such_code() -> ApiError {
    ApiError::not_found("No lesson has this code now. Look at the wall again.")
}

/// The room of a code, and the student of its class whom this browser was let in as.
async fn seat(
    app: &App,
    address: Address,
    session: &Session,
    code: &str,
) -> Result<(LiveLesson, Arc<Room>, Option<StudentId>), ApiError> {
    let live = of_code(app, address, session, code).await?;
    let student = session::student(session, live.class).await?;
    let room = app.rooms.room(&live).await?;
    Ok((live, room, student))
}

/// The same for a student who is in.
async fn seated(
    app: &App,
    address: Address,
    session: &Session,
    code: &str,
) -> Result<(Arc<Room>, StudentId), ApiError> {
    let (_, room, student) = seat(app, address, session, code).await?;
    let is_in = |id: &StudentId| room.look(|now| now.students.contains_key(&id.0));
    let student = student.filter(is_in);
    Ok((room, student.ok_or_else(|| ApiError::sign_in("Say who you are first."))?))
}

fn view_of(now: &Now, room: &Room, student: u64) -> Option<StudentNow> {
    let seat = now.students.get(&student)?;
    let place = now.place_of(student);
    let slide = room.lesson.slides.get(usize::from(place.slide));
    let question = |(number, question): (u32, &Question)| {
        let answered = seat.answers.get(&number);
        let tells = now.tells(question);
        let said = answered.filter(|_| tells).map(|one| SaidOfAnswer {
            right: one.mark.right,
            slip: one.mark.slip.clone(),
            judgement: one.mark.judgement.clone().map(|judgement| judgement.with_hints(0)),
        });
        StudentQuestion {
            number,
            asked: question.asked.view(),
            scene: room.scene(number, question),
            open: now.may_answer(student, number).is_ok(),
            given: answered.map(|one| one.given.clone()),
            tries: answered.map_or(0, |one| one.tries),
            said,
            right: question.told.then(|| question.asked.right()),
        }
    };
    Some(StudentNow {
        seq: now.seq,
        name: seat.name.clone(),
        partner: seat.partner.clone(),
        place,
        pace: now.pace,
        slides: room.lesson.slides.len(),
        steps: slide.map_or(1, |slide| slide.moments().len()),
        paused: now.paused,
        ended: now.ended.is_some(),
        hand: seat.hand.is_some(),
        question: now.question().map(question),
    })
}

async fn view(
    app: &App,
    live: LiveLesson,
    room: &Room,
    student: Option<StudentId>,
) -> Result<JoinView, ApiError> {
    let class = store::class::any(&app.db, live.class).await?;
    let known = match student {
        Some(student) => store::class::student(&app.db, live.class, student).await.ok(),
        None => None,
    };
    let now = known.as_ref().and_then(|one| room.look(|now| view_of(now, room, one.id.0)));
    Ok(JoinView {
        title: live.title,
        is_open: class.is_open,
        code: known.as_ref().filter(|_| class.is_open).map(|one| one.code.clone()),
        student: known.map(|one| one.name),
        now,
    })
}

/// Looks at the live lesson of a code.
#[utoipa::path(get, path = "/api/join/{code}", params(("code" = String, Path)),
    responses((status = 200, body = JoinView), (status = "default", body = Failure)))]
async fn look_at_join(
    State(app): State<App>,
    address: Address,
    session: Session,
    Path(code): Path<String>,
) -> Result<Json<JoinView>, ApiError> {
    let (live, room, student) = seat(&app, address, &session, &code).await?;
    Ok(Json(view(&app, live, &room, student).await?))
}

/// Who comes in: by a first name where the class is open, by a personal code, or as whoever this browser knows.
#[derive(Deserialize, ToSchema)]
struct JoiningLive {
    #[serde(default)]
    name: Option<String>,
    #[serde(default)]
    code: Option<String>,
}

/// Comes in to a live lesson.
#[utoipa::path(post, path = "/api/join/{code}", params(("code" = String, Path)),
    request_body = JoiningLive,
    responses((status = 200, body = JoinView), (status = "default", body = Failure)))]
async fn join_live(
    State(app): State<App>,
    address: Address,
    session: Session,
    Path(code): Path<String>,
    Body(JoiningLive { name, code: own }): Body<JoiningLive>,
) -> Result<Json<JoinView>, ApiError> {
    let live = of_code(&app, address, &session, &code).await?;
    let class = store::class::any(&app.db, live.class).await?;
    let known = session::student(&session, class.id).await?;
    if name.is_some() || own.is_some() || known.is_none() {
        let (own, name) = (own.as_deref(), name.as_deref());
        come_in(&app, &class, address, &session, own, name).await?;
    }
    let student = session::student(&session, class.id).await?;
    let student = student.ok_or_else(|| ApiError::sign_in("Say who you are first."))?;
    let name = store::class::student(&app.db, class.id, student).await?.name;
    let room = app.rooms.room(&live).await?;
    if !room.look(|now| now.students.contains_key(&student.0)) {
        let event = Event::Joined { name };
        room.keep(NewEvent { student: Some(student), token: None, event }).await?;
    }
    Ok(Json(view(&app, live, &room, Some(student)).await?))
}

/// A slide as a student sees it where they stand.
#[utoipa::path(get, path = "/api/join/{code}/slides/{slide}/{step}",
    params(("code" = String, Path), ("slide" = u16, Path), ("step" = u16, Path)),
    responses((status = 200, body = StudentSlide), (status = "default", body = Failure)))]
async fn slide_of_live(
    State(app): State<App>,
    address: Address,
    session: Session,
    Path((code, slide, step)): Path<(String, u16, u16)>,
) -> Result<Response, ApiError> {
    let (room, student) = seated(&app, address, &session, &code).await?;
    let place = LessonPlace { slide, step };
    let may = room.look(|now| place <= now.place_of(student.0) || now.may_go(place));
    let Some(found) = room.lesson.slides.get(usize::from(slide)).filter(|_| may) else {
        return Err(ApiError::not_found("The class is not there yet."));
    };
    let made = room.slide(place, || {
        let (slide, reveal) = seen(found, step);
        let pictures = drawn(slide.figures());
        let (theme, meanings) = (room.lesson.theme, room.lesson.meanings.clone());
        let made = StudentSlide { place, slide, reveal, pictures, theme, meanings };
        serde_json::to_string(&made).unwrap_or_default()
    });
    let headers = [(CONTENT_TYPE, "application/json"), (CACHE_CONTROL, "no-store")];
    Ok((headers, made.to_string()).into_response())
}

/// What a student does in a live lesson.
#[derive(Deserialize, ToSchema)]
#[serde(tag = "kind", rename_all = "snake_case")]
enum StudentDoes {
    /// Goes to a place by themselves.
    At { place: LessonPlace },
    /// Answers.
    Gave { question: u32, given: Given },
    /// Raises a hand, or lowers it.
    Hand { up: bool },
    /// Asks something.
    Wondered { text: String },
    /// Sits with somebody; empty for alone.
    With { partner: String },
}

/// Something that a student does, with a token that they draw: what is sent twice is kept once.
#[derive(Deserialize, ToSchema)]
struct StudentDoing {
    token: String,
    does: StudentDoes,
}

/// Does something as a student. When this answers, it is kept.
#[utoipa::path(post, path = "/api/join/{code}/events", params(("code" = String, Path)),
    request_body = StudentDoing,
    responses((status = 200, body = StudentNow), (status = "default", body = Failure)))]
async fn do_as_student(
    State(app): State<App>,
    address: Address,
    session: Session,
    Path(code): Path<String>,
    Body(StudentDoing { token, does }): Body<StudentDoing>,
) -> Result<Json<StudentNow>, ApiError> {
    let (room, student) = seated(&app, address, &session, &code).await?;
    if !(8..=32).contains(&token.len()) || !token.bytes().all(|b| b.is_ascii_alphanumeric()) {
        return Err(ApiError::bad("Load the page again, and send it once more."));
    }
    room.count(student.0)?;
    let event = match does {
        StudentDoes::At { place } => {
            if !room.look(|now| now.may_go(place)) {
                return Err(ApiError::bad("Look up: the class is somewhere else."));
            }
            Event::At { place }
        }
        StudentDoes::Hand { up } => Event::Hand { up },
        StudentDoes::Wondered { text } => Event::Wondered { text: short(&text, LONGEST_TEXT)? },
        StudentDoes::With { partner } if partner.trim().is_empty() => {
            Event::With { partner: String::new() }
        }
        StudentDoes::With { partner } => Event::With { partner: short(&partner, LONGEST_NAME)? },
        StudentDoes::Gave { question, given } => {
            answered(&app, &room, student, question, given).await?
        }
    };
    room.keep(NewEvent { student: Some(student), token: Some(token), event }).await?;
    let now = room.look(|now| view_of(now, &room, student.0));
    now.map(Json).ok_or_else(|| ApiError::sign_in("Say who you are first."))
}

fn short(text: &str, most: usize) -> Result<String, ApiError> {
    let text = text.split_whitespace().collect::<Vec<_>>().join(" ");
    if text.is_empty() || text.chars().count() > most || !is_visible(&text) {
        return Err(ApiError::bad(format!("Type something, in at most {most} letters.")));
    }
    Ok(text)
}

/// An answer with what is said of it.
async fn answered(
    app: &App,
    room: &Arc<Room>,
    student: StudentId,
    question: u32,
    given: Given,
) -> Result<Event, ApiError> {
    let asked = room.look(|now| now.may_answer(student.0, question).cloned());
    let asked = asked.map_err(ApiError::bad)?;
    given.check(&asked).map_err(|why| ApiError::bad(why.0))?;
    let given = Arc::new(given);
    let asker = Asker::seat(room.id, student);
    let judged = {
        let given = Arc::clone(&given);
        app.pools.judging.run(asker, move || mark(&asked, &given)).await?
    };
    let given = Arc::unwrap_or_clone(given);
    Ok(Event::Gave { question, given, mark: Box::new(judged) })
}

/// Tells a student what happens.
#[utoipa::path(get, path = "/api/join/{code}/socket", params(("code" = String, Path)),
    responses((status = 101), (status = "default", body = Failure)))]
async fn listen_as_student(
    State(app): State<App>,
    address: Address,
    session: Session,
    headers: HeaderMap,
    Path(code): Path<String>,
    socket: Result<WebSocketUpgrade, WebSocketUpgradeRejection>,
) -> Result<Response, ApiError> {
    super::own_page(&headers)?;
    let (room, student) = seated(&app, address, &session, &code).await?;
    room.has_place()?;
    let socket = socket.map_err(|_| super::no_socket())?;
    // Students send nothing here: what they do comes as requests.
    let socket = socket.max_message_size(1 << 10).read_buffer_size(1 << 10);
    Ok(socket.on_upgrade(move |socket| tell(room, student, socket)))
}

async fn tell(room: Arc<Room>, student: StudentId, mut socket: WebSocket) {
    // What other students do is not told.
    let mut heard = room.listen_as_student();
    loop {
        heard.mark_unchanged();
        let Some(now) = room.look(|now| view_of(now, &room, student.0)) else { return };
        let Ok(text) = serde_json::to_string(&now) else { return };
        drop(now);
        let sent = socket.send(Message::Text(text.into())).await;
        if sent.is_err() || !until_heard(&mut socket, &mut heard).await {
            return;
        }
    }
}

/// Waits until something happens in a lesson; false when nobody listens any more.
pub(super) async fn until_heard(socket: &mut WebSocket, heard: &mut watch::Receiver<u64>) -> bool {
    loop {
        tokio::select! {
            changed = heard.changed() => return changed.is_ok(),
            came = timeout(ALIVE, socket.recv()) => match came {
                Ok(Some(Ok(Message::Close(_)) | Err(_)) | None) => return false,
                Ok(Some(Ok(_))) => {}
                // Whoever has gone without a word is found out.
                Err(_) => {
                    if socket.send(Message::Ping(Default::default())).await.is_err() {
                        return false;
                    }
                }
            },
        }
    }
}
