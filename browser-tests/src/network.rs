//! The network between a browser and the program, which can go away and come back.

use std::sync::Arc;
use tokio::io::copy_bidirectional;
use tokio::net::{TcpListener, TcpStream};
use tokio::sync::watch;

/// A way to the program that can be cut.
pub struct Network {
    /// Where a browser finds the program behind it.
    pub url: String,
    is_there: Arc<watch::Sender<bool>>,
}

impl Network {
    /// A way to the program at an address.
    ///
    /// # Panics
    /// When no port is free.
    pub async fn to(url: &str) -> Self {
        let program = url.trim_start_matches("http://").to_owned();
        let listener = TcpListener::bind("127.0.0.1:0").await.expect("a free port");
        let port = listener.local_addr().expect("an address").port();
        let is_there = Arc::new(watch::Sender::new(true));
        let switch = Arc::clone(&is_there);
        tokio::spawn(async move {
            while let Ok((mut from, _)) = listener.accept().await {
                let (program, mut switch) = (program.clone(), switch.subscribe());
                tokio::spawn(async move {
                    if !*switch.borrow() {
                        return;
                    }
                    let Ok(mut to) = TcpStream::connect(program).await else { return };
                    tokio::select! {
                        _ = copy_bidirectional(&mut from, &mut to) => {}
                        _ = switch.wait_for(|is_there| !is_there) => {}
                    }
                });
            }
        });
        Self { url: format!("http://127.0.0.1:{port}"), is_there }
    }

    /// Cuts every connection, and lets no new one through.
    pub fn goes(&self) {
        self.is_there.send_replace(false);
    }

    /// Lets connections through again.
    pub fn comes_back(&self) {
        self.is_there.send_replace(true);
    }
}
