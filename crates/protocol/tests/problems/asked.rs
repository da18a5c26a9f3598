//! Rows of the tables, as tasks of the protocol: `problem ; options` and `from -> to ; options`.

use protocol::check::CheckRequest;
use protocol::solve::SolveRequest;

/// The task that is asked in a row; an option that is none of the others names what is to be done.
pub fn request(asked: &str) -> SolveRequest {
    let mut parts = asked.split(" ;").map(str::trim);
    let problem = parts.next().unwrap_or_default().to_owned();
    let mut request = SolveRequest { problem, ..SolveRequest::default() };
    for option in parts {
        match option.split_once(' ') {
            Some(("by", method)) => request.method = Some(method.into()),
            Some(("for", letter)) => request.unknown = Some(letter.into()),
            Some(("assume", all)) => {
                request.assume.extend(all.split('&').map(|one| one.trim().to_owned()))
            }
            _ if option == "deg" => request.angle = Some("deg".into()),
            _ => request.task = Some(option.into()),
        }
    }
    request
}

/// The question that is asked in a row `from -> to ; options`, or `line ; options` of a line by itself.
///
/// # Panics
/// When an option is none of ours.
pub fn pair(row: &str) -> CheckRequest {
    let mut parts: Vec<&str> = row.split(" ;").map(str::trim).collect();
    let lines = parts.remove(0);
    let (from, to) = match lines.split_once(" -> ") {
        Some((from, to)) => (from.trim().to_owned(), Some(to.trim().to_owned())),
        None => (lines.to_owned(), None),
    };
    let mut request = CheckRequest { from, to, ..CheckRequest::default() };
    for option in parts {
        match option.split_once(' ') {
            Some(("assume", all)) => {
                request.assume = all.split('&').map(|one| one.trim().to_owned()).collect();
            }
            Some(("for", letter)) => request.unknown = Some(letter.to_owned()),
            Some(("form", form)) => request.form = Some(form.to_owned()),
            _ if option == "deg" => request.angle = Some("deg".into()),
            _ if option == "quantities" => request.quantities = true,
            _ => panic!("no option: {option} in {row}"),
        }
    }
    request
}
