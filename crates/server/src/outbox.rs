//! The outbox: messages are written into a folder instead of being sent, one file each. It stands in for a mail server,
//! and an administrator reads it on a screen.

use serde::Serialize;
use std::path::Path;
use utoipa::ToSchema;

/// Most messages that are shown, and kept.
const MOST: usize = 200;

/// A message.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, ToSchema)]
pub struct Message {
    /// When it was written, as Unix time in seconds.
    pub at: i64,
    /// To whom.
    pub to: String,
    /// What it is about.
    pub subject: String,
    /// What it says.
    pub text: String,
}

impl Message {
    fn file(&self) -> String {
        format!("To: {}\nSubject: {}\n\n{}\n", self.to, self.subject, self.text)
    }

    fn read(at: i64, file: &str) -> Option<Self> {
        let (head, text) = file.split_once("\n\n")?;
        let field = |name: &str| head.lines().find_map(|line| line.strip_prefix(name));
        let (to, subject) = (field("To: ")?.to_owned(), field("Subject: ")?.to_owned());
        Some(Self { at, to, subject, text: text.trim_end().to_owned() })
    }
}

/// The files of the folder with the time that their names tell, the latest first.
fn files(folder: &Path) -> std::io::Result<Vec<(i64, std::path::PathBuf)>> {
    let mut found = Vec::new();
    for entry in std::fs::read_dir(folder)? {
        let path = entry?.path();
        let stem = path.file_stem().and_then(|stem| stem.to_str()).unwrap_or_default();
        let at = stem.split('-').next().and_then(|at| at.parse().ok());
        if let Some(at) = at.filter(|_| path.extension().is_some_and(|end| end == "txt")) {
            found.push((at, path));
        }
    }
    found.sort();
    found.reverse();
    Ok(found)
}

/// Writes a message into the folder; the oldest go.
///
/// # Errors
/// The folder cannot be written to.
pub(crate) fn write(folder: &Path, message: &Message) -> std::io::Result<()> {
    std::fs::create_dir_all(folder)?;
    let number = files(folder)?.len();
    let mut count = number;
    // Two messages of one second have two names.
    loop {
        let path = folder.join(format!("{}-{count:06}.txt", message.at));
        match std::fs::OpenOptions::new().write(true).create_new(true).open(&path) {
            Ok(mut file) => {
                std::io::Write::write_all(&mut file, message.file().as_bytes())?;
                break;
            }
            Err(error) if error.kind() == std::io::ErrorKind::AlreadyExists => count += 1,
            Err(error) => return Err(error),
        }
    }
    for (_, old) in files(folder)?.into_iter().skip(MOST) {
        std::fs::remove_file(old)?;
    }
    Ok(())
}

/// The messages, the latest first.
///
/// # Errors
/// The folder cannot be read.
pub(crate) fn read(folder: &Path) -> std::io::Result<Vec<Message>> {
    if !folder.exists() {
        return Ok(Vec::new());
    }
    let mut found = Vec::new();
    for (at, path) in files(folder)?.into_iter().take(MOST) {
        found.extend(Message::read(at, &std::fs::read_to_string(path)?));
    }
    Ok(found)
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn what_was_written_is_read_the_latest_first() {
        let folder = std::env::temp_dir().join(format!("outbox-{}", std::process::id()));
        assert_eq!(read(&folder).expect("empty"), []);
        let message = |at: i64, to: &str| Message {
            at,
            to: to.into(),
            subject: "A new password".into(),
            text: "Hello\n\nhttp://localhost/x".into(),
        };
        let all = [message(5, "a"), message(7, "b"), message(7, "c")];
        for one in &all {
            write(&folder, one).expect("written");
        }
        let found = read(&folder).expect("read");
        assert_eq!(found, [all[2].clone(), all[1].clone(), all[0].clone()]);
        for at in 10..MOST + 20 {
            write(&folder, &message(i64::try_from(at).expect("small"), "many")).expect("written");
        }
        assert_eq!(read(&folder).expect("read").len(), MOST);
        assert_eq!(std::fs::read_dir(&folder).expect("there").count(), MOST);
        std::fs::remove_dir_all(&folder).expect("gone");
    }
}
