//! The program as a process of its own.

use scratch::{Scratch, scratch};
use std::io::{BufRead, BufReader};
use std::path::{Path, PathBuf};
use std::process::{Child, Command, Stdio};
use store::TeacherId;
use store::lesson::Place;

/// The running program. It is killed when this goes.
pub struct Program {
    child: Child,
    /// Where it serves, such as `http://127.0.0.1:40123`.
    pub url: String,
    /// Its database.
    pub scratch: Scratch,
}

impl Program {
    /// Starts the program on an empty database, which it fills with the demo world.
    ///
    /// # Panics
    /// When it does not start: the test cannot go on.
    pub async fn start() -> Self {
        let scratch = scratch().await.expect("an empty database");
        let (child, url) = launch(&scratch.url);
        Self { child, url, scratch }
    }

    /// A second program on the same database, as a second server beside the first.
    ///
    /// # Panics
    /// When it does not start.
    #[must_use]
    pub fn beside(&self) -> Beside {
        let (child, url) = launch(&self.scratch.url);
        Beside { child, url }
    }

    /// Kills the program outright, as a power cut would.
    ///
    /// # Panics
    /// When it cannot be killed.
    pub fn kill(&mut self) {
        // SIGKILL: nothing of the program runs after this.
        self.child.kill().expect("killed");
        self.child.wait().expect("gone");
    }

    /// Starts a killed program again at the same address, on the same database.
    ///
    /// # Panics
    /// When it does not start.
    pub fn start_again(&mut self) {
        let port = self.url.rsplit(':').next().expect("a port").to_owned();
        (self.child, self.url) = launch_at(&self.scratch.url, &port);
    }

    /// The demo teacher and the first ladder of the demo world.
    ///
    /// # Panics
    /// When there is none.
    pub async fn demo_ladder(&self) -> (TeacherId, store::ladder::KeptLadder) {
        let db = &self.scratch.db;
        let orla = store::teacher::by_sign_in(db, "orla").await.expect("the demo teacher").id;
        let shelf = store::lesson::shelf(db, orla, Place::Shelf, "", None).await;
        let mut all = Vec::new();
        for on in shelf.expect("a shelf").entries {
            all.extend(store::ladder::of_lesson(db, orla, on.id).await.expect("ladders"));
        }
        let first = all.into_iter().min_by_key(|ladder| ladder.id);
        (orla, first.expect("a ladder in the demo world"))
    }
}

/// The lesson that a ladder of the demo world hangs on.
///
/// # Panics
/// When it hangs on none.
#[must_use]
pub fn lesson_of(ladder: &store::ladder::KeptLadder) -> store::LessonId {
    ladder.lesson.expect("it hangs on a lesson")
}

/// A second program. It is killed when this goes.
pub struct Beside {
    child: Child,
    /// Where it serves.
    pub url: String,
}

impl Drop for Beside {
    fn drop(&mut self) {
        let _ = self.child.kill();
        let _ = self.child.wait();
    }
}

impl Drop for Program {
    fn drop(&mut self) {
        // It may be gone already.
        let _ = self.child.kill();
        let _ = self.child.wait();
        let _ = std::fs::remove_dir_all(outbox(&self.scratch.url));
    }
}

/// The folder of the outbox of the program on that database.
fn outbox(database: &str) -> PathBuf {
    let name = database.rsplit('/').next().unwrap_or("outbox");
    std::env::temp_dir().join(format!("{name}-outbox"))
}

fn launch(database: &str) -> (Child, String) {
    launch_at(database, "0")
}

fn launch_at(database: &str, port: &str) -> (Child, String) {
    let web = Path::new(env!("CARGO_MANIFEST_DIR")).join("../web/dist");
    let mut child = Command::new(binary())
        .args(["serve", "--database-url", database, "--port", port, "--web"])
        .arg(web)
        .arg("--outbox")
        .arg(outbox(database))
        .stdout(Stdio::piped())
        .spawn()
        .expect("the program is built (./test does so)");
    let mut lines = BufReader::new(child.stdout.take().expect("a pipe")).lines();
    let url = loop {
        let line = lines.next().expect("the program says where it is").expect("text");
        if let Some((_, url)) = line.split_once("is at ") {
            break url.to_owned();
        }
    };
    // Whatever else it says is read, so that it never waits for a full pipe.
    std::thread::spawn(move || lines.for_each(drop));
    (child, url)
}

/// The program lies beside the folder of the test programs.
fn binary() -> PathBuf {
    let mut path = std::env::current_exe().expect("a path");
    path.pop();
    if path.ends_with("deps") {
        path.pop();
    }
    path.join("honey-ladder")
}
