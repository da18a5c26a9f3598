//! A row `problem ; options` of the tables of answers and of workings, as a task of the protocol.

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
