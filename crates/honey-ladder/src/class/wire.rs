//! How simulated students talk to the server: as a browser does, each with a cookie of their own.

use axum::body::{Body, to_bytes};
use futures_util::StreamExt;
use hyper::header::{CONTENT_TYPE, COOKIE, SET_COOKIE};
use hyper::{Method, Request};
use hyper_util::client::legacy::Client;
use hyper_util::client::legacy::connect::HttpConnector;
use hyper_util::rt::TokioExecutor;
use serde_json::Value;
use tokio::net::TcpStream;
use tokio_tungstenite::WebSocketStream;
use tokio_tungstenite::tungstenite::Message;
use tokio_tungstenite::tungstenite::client::IntoClientRequest;

/// Longest answer that is read, in bytes.
const LONGEST: usize = 8 << 20;

/// Where Honey Ladder is.
pub(super) struct Site {
    host: String,
    client: Client<HttpConnector, Body>,
}

/// Somebody's browser.
#[derive(Clone, Default)]
pub(super) struct Browser {
    cookie: String,
}

/// A socket that listens.
pub(super) struct Listener(WebSocketStream<TcpStream>);

impl Site {
    /// The site at an address without encryption.
    pub(super) fn at(url: &str) -> Result<Self, String> {
        let host = url.trim_end_matches('/').strip_prefix("http://");
        let host = host.ok_or("Give the address as http://HOST:PORT.")?.to_owned();
        let mut connector = HttpConnector::new();
        connector.set_nodelay(true);
        Ok(Self { host, client: Client::builder(TokioExecutor::new()).build(connector) })
    }

    /// Asks for something; tells the answer, or the sentence of the failure.
    pub(super) async fn ask(
        &self,
        browser: &mut Browser,
        method: Method,
        path: &str,
        body: Option<Value>,
    ) -> Result<Value, String> {
        let request = Request::builder()
            .method(method)
            .uri(format!("http://{}{path}", self.host))
            .header(COOKIE, &browser.cookie)
            .header(CONTENT_TYPE, "application/json")
            .body(body.map_or_else(Body::empty, |body| Body::from(body.to_string())))
            .map_err(|error| error.to_string())?;
        let answer = self.client.request(request).await.map_err(|error| error.to_string())?;
        if let Some(cookie) = answer.headers().get(SET_COOKIE).and_then(|one| one.to_str().ok()) {
            browser.cookie = cookie.split(';').next().unwrap_or_default().to_owned();
        }
        let status = answer.status();
        let bytes = to_bytes(Body::new(answer.into_body()), LONGEST).await;
        let bytes = bytes.map_err(|error| error.to_string())?;
        let value: Value = if bytes.is_empty() {
            Value::Null
        } else {
            serde_json::from_slice(&bytes).map_err(|error| error.to_string())?
        };
        if status.is_success() {
            return Ok(value);
        }
        Err(value["says"].as_str().unwrap_or("The server said nothing.").to_owned())
    }

    /// Listens at a path.
    pub(super) async fn listen(&self, browser: &Browser, path: &str) -> Result<Listener, String> {
        let stream = TcpStream::connect(&self.host).await.map_err(|error| error.to_string())?;
        let mut request = format!("ws://{}{path}", self.host)
            .into_client_request()
            .map_err(|error| error.to_string())?;
        let cookie = browser.cookie.parse().map_err(|_| "This cookie cannot be sent.")?;
        request.headers_mut().insert(COOKIE, cookie);
        let (socket, _) = tokio_tungstenite::client_async(request, stream)
            .await
            .map_err(|error| error.to_string())?;
        Ok(Listener(socket))
    }
}

impl Listener {
    /// What is told next; nothing when the connection is lost.
    pub(super) async fn next(&mut self) -> Option<Value> {
        loop {
            match self.0.next().await? {
                Ok(Message::Text(text)) => return serde_json::from_str(&text).ok(),
                Ok(Message::Close(_)) | Err(_) => return None,
                Ok(_) => {}
            }
        }
    }
}
