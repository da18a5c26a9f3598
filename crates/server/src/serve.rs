//! Connections: how many there may be, how long each may take to say what it wants, and how they end.

use axum::Router;
use axum::extract::ConnectInfo;
use hyper::body::Incoming;
use hyper::service::service_fn;
use hyper_util::rt::{TokioExecutor, TokioIo, TokioTimer};
use hyper_util::server::conn::auto::Builder;
use hyper_util::server::graceful::GracefulShutdown;
use std::net::SocketAddr;
use std::pin::pin;
use std::sync::Arc;
use std::time::Duration;
use tokio::net::{TcpListener, TcpStream};
use tokio::sync::{OwnedSemaphorePermit, Semaphore};
use tower::ServiceExt;

/// Most connections at a time; others wait to be taken.
const MOST_CONNECTIONS: usize = 12_000;
/// How long a connection may take for the head of a request, and be idle between two.
const HEAD: Duration = Duration::from_secs(20);
/// Longest head of a request, in bytes.
const LONGEST_HEAD: usize = 32 << 10;
/// How long requests have to end once the server is to stop.
const LAST: Duration = Duration::from_secs(8);

/// Serves until `stop` comes; then takes no more connections, and gives those that are there a few seconds to end.
pub async fn serve(listener: TcpListener, router: Router, stop: impl Future<Output = ()>) {
    let connections = GracefulShutdown::new();
    let room = Arc::new(Semaphore::new(MOST_CONNECTIONS));
    let mut stop = pin!(stop);
    loop {
        let next = async {
            let place = Arc::clone(&room).acquire_owned().await;
            (place, listener.accept().await)
        };
        let (place, accepted) = tokio::select! {
            next = next => next,
            () = &mut stop => break,
        };
        match (place, accepted) {
            (Ok(place), Ok((stream, from))) => {
                talk(stream, from, router.clone(), &connections, place);
            }
            (_, Err(error)) => {
                // Too many files are open, or somebody hung up before it began: what else there is goes on.
                tracing::warn!("a connection was not taken: {error}");
                tokio::time::sleep(Duration::from_millis(50)).await;
            }
            (Err(_), _) => break,
        }
    }
    drop(listener);
    if tokio::time::timeout(LAST, connections.shutdown()).await.is_err() {
        tracing::warn!("some requests did not end in time, and were ended");
    }
}

fn talk(
    stream: TcpStream,
    from: SocketAddr,
    router: Router,
    connections: &GracefulShutdown,
    place: OwnedSemaphorePermit,
) {
    // An answer is one piece: it need not wait for more.
    let _ = stream.set_nodelay(true);
    let answer = service_fn(move |mut request: hyper::Request<Incoming>| {
        request.extensions_mut().insert(ConnectInfo(from));
        router.clone().oneshot(request)
    });
    let mut builder = Builder::new(TokioExecutor::new()).http1_only();
    builder.http1().timer(TokioTimer::new()).header_read_timeout(HEAD).max_buf_size(LONGEST_HEAD);
    // A socket of a live lesson begins as a request.
    let connection = builder.serve_connection_with_upgrades(TokioIo::new(stream), answer);
    let connection = connections.watch(connection.into_owned());
    tokio::spawn(async move {
        let _place = place;
        if let Err(error) = connection.await {
            tracing::debug!("a connection ended: {error}");
        }
    });
}
