//! Where work that computes runs: on a few threads of its own, in turns that are fair between whoever asks.
//!
//! Work begins with a moment in which nearly all of it is done. What needs longer is stopped, and begins anew in a second
//! queue with a thread of its own: so however much of it there is, what is quick only ever waits for moments.

mod turns;

use crate::error::{ApiError, FailureKind};
use algebra::work::{Limit, Stopped, within};
use axum::http::StatusCode;
use std::net::IpAddr;
use std::sync::Arc;
use std::sync::atomic::{AtomicBool, Ordering};
use std::time::{Duration, Instant};
use store::{DeskId, LadderId, LiveId, StudentId, TeacherId};
use turns::{Full, Turns};

/// Who asks. Turns go from crowd to crowd, and in each from one to the next.
#[derive(Debug, Clone, Copy, PartialEq, Eq, PartialOrd, Ord)]
pub(crate) struct Asker {
    crowd: Crowd,
    one: u64,
}

#[derive(Debug, Clone, Copy, PartialEq, Eq, PartialOrd, Ord)]
enum Crowd {
    Teacher(TeacherId),
    Ladder(LadderId),
    Live(LiveId),
    /// Somebody who is not known yet, from an address.
    Address(IpAddr),
}

impl Asker {
    /// A teacher.
    pub(crate) const fn teacher(id: TeacherId) -> Self {
        Self { crowd: Crowd::Teacher(id), one: 0 }
    }

    /// A student at a desk.
    pub(crate) const fn student(ladder: LadderId, desk: DeskId) -> Self {
        Self { crowd: Crowd::Ladder(ladder), one: desk.0 }
    }

    /// A student in a live lesson.
    pub(crate) const fn seat(live: LiveId, student: StudentId) -> Self {
        Self { crowd: Crowd::Live(live), one: student.0 }
    }

    /// Somebody at an address.
    pub(crate) const fn address(address: IpAddr) -> Self {
        Self { crowd: Crowd::Address(address), one: 0 }
    }
}

/// A few threads, and the queues in front of them.
pub(crate) struct Pool {
    quick: Turns,
    slow: Turns,
    moment: Duration,
    longest: Duration,
}

impl Pool {
    /// As many threads for what is quick, and one for what needs longer than `moment`; that has until `longest`.
    pub(crate) fn new(threads: usize, moment: Duration, longest: Duration) -> Self {
        Self { quick: Turns::new(threads), slow: Turns::new(1), moment, longest }
    }

    /// For work that cannot be stopped: as many threads, and no second queue.
    pub(crate) fn whole(threads: usize) -> Self {
        Self::new(threads, Duration::MAX, Duration::MAX)
    }

    /// Does work away from the threads that answer requests. It may begin twice. When whoever asked has gone, it is
    /// stopped.
    ///
    /// # Errors
    /// The queue is full, the work takes too long, or it falls over.
    pub(crate) async fn run<T: Send + 'static>(
        &self,
        asker: Asker,
        work: impl Fn() -> T + Send + Sync + 'static,
    ) -> Result<T, ApiError> {
        let work = Arc::new(work);
        match begin(&self.quick, asker, self.moment, Arc::clone(&work)).await? {
            Ok(done) => Ok(done),
            Err(Stopped) => begin(&self.slow, asker, self.longest, work).await?.map_err(|_| {
                let says = "This took too long, and was stopped. Try it with less at a time.";
                ApiError::new(StatusCode::UNPROCESSABLE_ENTITY, FailureKind::TooSlow, says)
            }),
        }
    }
}

/// Whoever asked; gone when this is dropped.
struct Waiting(Arc<AtomicBool>);

impl Drop for Waiting {
    fn drop(&mut self) {
        self.0.store(true, Ordering::Relaxed);
    }
}

async fn begin<T: Send + 'static>(
    turns: &Turns,
    asker: Asker,
    longest: Duration,
    work: Arc<impl Fn() -> T + Send + Sync + 'static>,
) -> Result<Result<T, Stopped>, ApiError> {
    let turn = turns.take(asker).await.map_err(|Full { seconds }| ApiError::busy(seconds))?;
    let gone = Arc::new(AtomicBool::new(false));
    let waiting = Waiting(Arc::clone(&gone));
    let run = move || {
        let began = Instant::now();
        let late = move || gone.load(Ordering::Relaxed) || began.elapsed() > longest;
        let done = within(Limit::until(late), &*work);
        // Whoever is next need not wait until this one has been told.
        drop(turn);
        done
    };
    let done = tokio::task::spawn_blocking(run).await;
    drop(waiting);
    done.map_err(|error| ApiError::internal(&error))
}

#[cfg(test)]
mod tests {
    use super::*;
    use algebra::work::spend;
    use std::sync::atomic::AtomicUsize;

    const BEE: Asker = Asker::teacher(TeacherId(1));
    const WASP: Asker = Asker::teacher(TeacherId(2));

    fn pool() -> Pool {
        Pool::new(1, Duration::from_millis(5), Duration::from_millis(50))
    }

    fn forever() {
        loop {
            spend(100);
        }
    }

    #[tokio::test]
    async fn work_is_done_and_what_takes_too_long_is_stopped_and_told() {
        let pool = pool();
        assert_eq!(pool.run(BEE, || 6 * 7).await.expect("done"), 42);
        let begun = Arc::new(AtomicUsize::new(0));
        let counts = Arc::clone(&begun);
        let heavy = move || {
            counts.fetch_add(1, Ordering::Relaxed);
            forever();
        };
        let refused = pool.run(BEE, heavy).await.expect_err("too long");
        assert_eq!(refused.failure().kind, FailureKind::TooSlow);
        // Once for a moment, and once in the second queue.
        assert_eq!(begun.load(Ordering::Relaxed), 2);
        assert_eq!(pool.run(BEE, || 6 * 7).await.expect("done"), 42);
    }

    #[tokio::test]
    async fn a_fall_is_told_and_takes_no_thread_with_it() {
        let pool = pool();
        for _ in 0..3 {
            let refused = pool.run(BEE, || panic!("a fall")).await.expect_err("it falls");
            assert_eq!(refused.failure().kind, FailureKind::Internal);
        }
        assert_eq!(pool.run(BEE, || 6 * 7).await.expect("done"), 42);
    }

    #[tokio::test]
    async fn whoever_is_quick_waits_for_a_moment_however_much_is_heavy() {
        let pool = Arc::new(pool());
        let moments = Arc::new(AtomicUsize::new(0));
        let mut heavy = Vec::new();
        for _ in 0..8 {
            let (pool, moments) = (Arc::clone(&pool), Arc::clone(&moments));
            let work = move || {
                moments.fetch_add(1, Ordering::Relaxed);
                forever();
            };
            heavy.push(tokio::spawn(async move { pool.run(WASP, work).await.map(drop) }));
        }
        // Once the first one runs, the others wait.
        while moments.load(Ordering::Relaxed) == 0 {
            tokio::task::yield_now().await;
        }
        let before = moments.load(Ordering::Relaxed);
        pool.run(BEE, || ()).await.expect("done");
        let meanwhile = moments.load(Ordering::Relaxed) - before;
        // On a busy machine a moment or two more may pass before this one is asked for; without turns it would be all.
        assert!(meanwhile <= 4, "{meanwhile} moments of somebody else came first");
        for one in heavy {
            one.await.expect("it ends").expect_err("each is stopped");
        }
    }

    #[tokio::test]
    async fn work_that_nobody_waits_for_any_more_is_stopped() {
        let pool = Arc::new(Pool::new(1, Duration::from_secs(3_600), Duration::ZERO));
        let begun = Arc::new(AtomicBool::new(false));
        let (same, tells) = (Arc::clone(&pool), Arc::clone(&begun));
        let work = move || {
            tells.store(true, Ordering::Relaxed);
            forever();
        };
        let asked = tokio::spawn(async move { same.run(WASP, work).await.map(drop) });
        while !begun.load(Ordering::Relaxed) {
            tokio::task::yield_now().await;
        }
        asked.abort();
        // The only thread is free again.
        assert_eq!(pool.run(BEE, || 6 * 7).await.expect("done"), 42);
    }
}
