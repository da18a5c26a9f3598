//! The program as it serves: on a real database, through its own sockets.

use scratch::scratch;
use std::io::{BufRead, BufReader, Read, Write};
use std::net::{TcpListener, TcpStream};
use std::process::{Child, Command, Stdio};

struct Served {
    child: Child,
    said: Vec<String>,
    address: String,
}

impl Drop for Served {
    fn drop(&mut self) {
        // It may be gone already.
        let _ = self.child.kill();
        let _ = self.child.wait();
    }
}

/// A folder with just enough of a front end.
fn front_end() -> std::path::PathBuf {
    let folder = std::env::temp_dir().join(format!("honey-ladder-web-{}", std::process::id()));
    std::fs::create_dir_all(folder.join("assets")).expect("a folder");
    std::fs::write(folder.join("index.html"), "<title>Honey Ladder</title>").expect("written");
    std::fs::write(folder.join("assets/a-1.js"), "0").expect("written");
    folder
}

fn command(database: &str, port: &str) -> Command {
    let mut command = Command::new(env!("CARGO_BIN_EXE_honey-ladder"));
    command.args(["serve", "--database-url", database, "--port", port, "--web"]).arg(front_end());
    command.stdout(Stdio::piped()).stderr(Stdio::piped());
    command
}

fn serve(database: &str) -> Served {
    let mut child = command(database, "0").spawn().expect("it starts");
    let lines = BufReader::new(child.stdout.take().expect("a pipe")).lines();
    let mut said = Vec::new();
    for line in lines {
        said.push(line.expect("text"));
        if said.last().is_some_and(|line| line.starts_with("Stop it")) {
            break;
        }
    }
    let address = said[0].rsplit_once("http://").expect("an address").1.to_owned();
    Served { child, said, address }
}

impl Served {
    /// Sends a request as it is, and gives back all that comes.
    fn send(&self, request: &str) -> String {
        let mut stream = TcpStream::connect(&self.address).expect("connected");
        stream.write_all(request.as_bytes()).expect("sent");
        let mut answer = Vec::new();
        stream.read_to_end(&mut answer).expect("an answer");
        String::from_utf8_lossy(&answer).into_owned()
    }

    fn get(&self, path: &str) -> String {
        let address = &self.address;
        self.send(&format!("GET {path} HTTP/1.1\r\nHost: {address}\r\nConnection: close\r\n\r\n"))
    }

    fn sign_in(&self, name: &str, password: &str) -> String {
        let body = format!(r#"{{"sign_in":"{name}","password":"{password}"}}"#);
        let address = &self.address;
        self.send(&format!(
            "POST /api/sign-in HTTP/1.1\r\nHost: {address}\r\nConnection: close\r\n\
             Content-Type: application/json\r\nContent-Length: {}\r\n\r\n{body}",
            body.len()
        ))
    }
}

#[tokio::test]
async fn the_demo_world_is_loaded_once_and_its_sign_in_works() {
    let scratch = scratch().await.expect("a database");
    let first = serve(&scratch.url);
    assert_eq!(first.said[1], "Demo sign-in: orla with password clover-and-heather");
    let answer = first.sign_in("orla", "clover-and-heather");
    assert!(answer.starts_with("HTTP/1.1 200"), "{answer}");
    assert!(answer.contains("Orla Fenwick") && answer.contains("HttpOnly"), "{answer}");
    assert!(first.sign_in("orla", "clover").starts_with("HTTP/1.1 401"));
    let count = || async {
        let orla = store::teacher::by_sign_in(&scratch.db, "orla").await.expect("there").id;
        store::lesson::shelf(&scratch.db, orla, store::lesson::Place::Shelf, "", None)
            .await
            .expect("a shelf")
            .entries
            .len()
    };
    let lessons = count().await;
    assert!(lessons >= 4);
    drop(first);
    let second = serve(&scratch.url);
    assert_eq!(second.said[1], "Demo sign-in: orla with password clover-and-heather");
    assert_eq!(count().await, lessons, "loaded once");
}

#[tokio::test]
async fn a_database_with_a_teacher_in_it_gets_no_demo_world() {
    let scratch = scratch().await.expect("a database");
    store::teacher::create(&scratch.db, "someone", "Some One", "-").await.expect("kept");
    let served = serve(&scratch.url);
    assert!(!served.said.iter().any(|line| line.contains("Demo")), "{:?}", served.said);
    assert!(served.sign_in("orla", "clover-and-heather").starts_with("HTTP/1.1 401"));
}

#[tokio::test]
async fn pages_files_and_addresses_that_are_none() {
    let scratch = scratch().await.expect("a database");
    let served = serve(&scratch.url);
    // Every address of the front end is its one page; its files are kept by the browser for ever.
    for path in ["/", "/lessons/3", "/desk/somewhere"] {
        let answer = served.get(path);
        assert!(answer.contains("<title>Honey Ladder</title>"), "{path}: {answer}");
        assert!(answer.to_lowercase().contains("cache-control: no-cache"), "{path}: {answer}");
        assert!(
            answer.to_lowercase().contains("content-security-policy: default-src 'self'"),
            "{path}"
        );
    }
    let file = served.get("/assets/a-1.js").to_lowercase();
    assert!(file.contains("immutable"), "{file}");
    assert!(served.get("/api/nothing").starts_with("HTTP/1.1 404"));
    assert!(served.get("/../../etc/passwd").contains("<title>Honey Ladder</title>"));
    let broken = served.send("GET / HTTP/1.1\r\nHost\r\n\r\n");
    assert!(broken.starts_with("HTTP/1.1 400"), "{broken}");
}

#[tokio::test]
async fn told_to_stop_it_stops() {
    let scratch = scratch().await.expect("a database");
    let mut served = serve(&scratch.url);
    let told = Command::new("kill").arg(served.child.id().to_string()).status().expect("told");
    assert!(told.success());
    assert_eq!(served.child.wait().expect("it ends").code(), Some(0));
    assert!(TcpStream::connect(&served.address).is_err(), "nothing listens any more");
}

#[tokio::test]
async fn a_port_in_use_and_a_database_that_is_not_there_are_one_clear_line() {
    let taken = TcpListener::bind("127.0.0.1:0").expect("a port");
    let port = taken.local_addr().expect("an address").port().to_string();
    let scratch = scratch().await.expect("a database");
    let output = command(&scratch.url, &port).output().expect("it ends");
    let told = String::from_utf8_lossy(&output.stderr);
    assert_eq!(output.status.code(), Some(1));
    assert!(
        told.contains(&format!("port {port} is in use. Choose another one with --port")),
        "{told}"
    );
    assert_eq!(told.trim().lines().count(), 1, "{told}");
    let output = command("mysql://nobody@127.0.0.1:1/none", "0").output().expect("it ends");
    let told = String::from_utf8_lossy(&output.stderr);
    assert_eq!(output.status.code(), Some(1));
    assert!(told.contains("the database cannot be used"), "{told}");
    assert!(told.contains("HONEY_LADDER_DATABASE_URL"), "{told}");
}
