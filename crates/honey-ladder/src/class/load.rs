//! What a server bears: many classes at once, each with a wall that listens, and the time from an answer to its wall.

use super::student::Student;
use super::wire::{Browser, Site};
use super::{Options, name};
use hyper::Method;
use serde_json::{Value, json};
use std::sync::Arc;
use std::time::Duration;
use tokio::sync::watch;
use tokio::task::JoinSet;
use tokio::time::{Instant, sleep, timeout};

/// Students of one class.
const CLASS: usize = 200;
/// How long it is measured, where nothing else is said, in seconds.
const LASTS: u64 = 60;
/// Longest wait for an answer on the wall.
const LONGEST: Duration = Duration::from_secs(30);

/// Opens as many lessons as the students need, asks, and tells the times from answers to walls.
pub(super) async fn measure(options: &Options, who: &str) -> Result<(), String> {
    let (user, password) = who.split_once(':').ok_or("Give the teacher as name:password.")?;
    let site = Arc::new(Site::at(&options.url)?);
    let mut teacher = Browser::default();
    let sign_in = json!({"sign_in": user, "password": password});
    site.ask(&mut teacher, Method::POST, "/api/sign-in", Some(sign_in)).await?;
    let classes = usize::from(options.students).div_ceil(CLASS);
    let lasts = Duration::from_secs(options.seconds.unwrap_or(LASTS));
    let mut walls = Vec::new();
    let mut students = JoinSet::new();
    for class in 0..classes {
        let (id, code) = opened(&site, &mut teacher, class).await?;
        let wall = hear(&site, &teacher, id).await?;
        let count = CLASS.min(usize::from(options.students) - class * CLASS);
        for nth in 0..count {
            let (site, habits, code) = (Arc::clone(&site), options.habits(), code.clone());
            let wall = wall.clone();
            students.spawn(async move {
                sleep(Duration::from_millis(5 * u64::try_from(nth).unwrap_or(0))).await;
                let mut student = Student::join(site, &code, &name(nth), habits).await?;
                let mut listener = student.listen().await?;
                let listens = tokio::spawn(async move { while listener.next().await.is_some() {} });
                let times = student_answers(&mut student, wall, lasts).await;
                listens.abort();
                Ok::<_, String>(times)
            });
        }
        walls.push(id);
    }
    // Whoever comes in finds the question there.
    for id in &walls {
        let asked = json!({"wanted": {"from": "typed", "text": "expand 3(x + 4)"}, "tries": 0});
        site.ask(&mut teacher, Method::POST, &format!("/api/live/{id}/questions"), Some(asked))
            .await?;
    }
    let (mut times, mut lost, mut refused) = (Vec::new(), 0, Vec::new());
    while let Some(done) = students.join_next().await {
        match done.map_err(|error| error.to_string())? {
            Ok(all) => {
                for one in all {
                    match one {
                        Ok(Some(time)) => times.push(time),
                        Ok(None) => lost += 1,
                        Err(says) => refused.push(says),
                    }
                }
            }
            Err(says) => refused.push(says),
        }
    }
    for id in walls {
        let end = Some(json!({"kind": "ended"}));
        site.ask(&mut teacher, Method::POST, &format!("/api/live/{id}/events"), end).await?;
    }
    times.sort_unstable();
    let at = |part: usize| times.get((times.len() * part / 1_000).min(times.len().max(1) - 1));
    let shown = |time: Option<&Duration>| {
        time.map_or_else(|| "none".into(), |time| format!("{} ms", time.as_millis()))
    };
    println!("students {}, classes {classes}, answers {}", options.students, times.len());
    println!(
        "answer to wall: p50 {}, p99 {}, longest {}",
        shown(at(500)),
        shown(at(990)),
        shown(times.last())
    );
    println!("acknowledged {}", times.len() + lost);
    println!("never on the wall {lost}, refused {}", refused.len());
    if let Some(says) = refused.first() {
        println!("the first refusal: {says}");
    }
    Ok(())
}

/// Opens the demo teacher's first lesson to an open class of its own; tells its id and its code.
async fn opened(site: &Site, teacher: &mut Browser, nth: usize) -> Result<(u64, String), String> {
    let class = json!({"title": format!("Load {} {nth}", std::process::id()), "grade": 7});
    let class = site.ask(teacher, Method::POST, "/api/classes", Some(class)).await?;
    let open = json!({"title": format!("Load {nth}"), "grade": 7, "methods": {}, "keep_days": 7, "is_open": true});
    let path = format!("/api/classes/{}", class["id"]);
    site.ask(teacher, Method::PUT, &path, Some(open)).await?;
    let shelf = site.ask(teacher, Method::GET, "/api/lessons", None).await?;
    let lesson = shelf["entries"][0]["id"].clone();
    let body = json!({"lesson": lesson, "class": class["id"]});
    let live = site.ask(teacher, Method::POST, "/api/live", Some(body)).await?;
    let id = live["id"].as_u64().ok_or("No lesson was opened.")?;
    let view = site.ask(teacher, Method::GET, &format!("/api/live/{id}"), None).await?;
    let code = view["live"]["code"].as_str().ok_or("The lesson has no code.")?;
    Ok((id, code.to_owned()))
}

/// Listens as the wall of a lesson: the last event that it knows of, and what is asked.
async fn hear(
    site: &Arc<Site>,
    teacher: &Browser,
    id: u64,
) -> Result<watch::Receiver<(u64, Value)>, String> {
    let mut listener = site.listen(teacher, &format!("/api/live/{id}/socket?wall=true")).await?;
    let (tell, wall) = watch::channel((0, Value::Null));
    tokio::spawn(async move {
        while let Some(told) = listener.next().await {
            let seq = told["seq"].as_u64().unwrap_or(0);
            if tell.send((seq, told)).is_err() {
                return;
            }
        }
    });
    Ok(wall)
}

/// Answers again and again; for each answer the time until the wall knows of it, nothing where it never does, or why it was
/// refused.
async fn student_answers(
    student: &mut Student,
    mut wall: watch::Receiver<(u64, Value)>,
    lasts: Duration,
) -> Vec<Result<Option<Duration>, String>> {
    let asked = json!({"by": "rung", "prompt": "expand 3(x + 4)"});
    let until = Instant::now() + lasts;
    let mut times = Vec::new();
    // A question is asked once all classes are open.
    let there = |(_, told): &(u64, Value)| told["question"].is_u64();
    let _ = timeout(LONGEST, wall.wait_for(there)).await;
    loop {
        let left = until.saturating_duration_since(Instant::now());
        sleep(student.thinks().min(left)).await;
        if Instant::now() >= until {
            return times;
        }
        let began = Instant::now();
        let mut listening = wall.clone();
        let given = student.give(1, &asked).await;
        times.push(match given {
            Err(says) => Err(says),
            Ok(now) => {
                let seq = now["seq"].as_u64().unwrap_or(u64::MAX);
                let heard = timeout(LONGEST, listening.wait_for(|(known, _)| *known >= seq)).await;
                Ok(heard.is_ok_and(|known| known.is_ok()).then(|| began.elapsed()))
            }
        });
    }
}
