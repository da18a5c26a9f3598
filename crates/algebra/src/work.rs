//! Work that can be stopped: what a question may cost in all, whatever it calls.
//!
//! A [`Budget`](crate::budget::Budget) is what one search may spend. A limit that is set here holds for all that runs
//! inside of it on this thread: what costs something (numbers beyond machine words, terms, points that are tried)
//! counts its steps, and past the limit the work unwinds to where the limit was set, from however deep it was.

use std::cell::{Cell, RefCell};
use std::panic::{AssertUnwindSafe, catch_unwind, resume_unwind};

/// What judging one line may cost, in steps: a quarter of a second. Lines of school mathematics take a hundredth of it.
pub const LINE: u64 = 800_000;
/// Steps between two looks at the limits; about a millisecond.
const BETWEEN_LOOKS: u64 = 10_000;

/// What work may cost.
#[derive(Default)]
pub struct Limit {
    steps: Option<u64>,
    late: Option<Box<dyn Fn() -> bool>>,
}

/// The work reached its limit, and was stopped.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub struct Stopped;

impl Limit {
    /// At most so many elementary steps, of about a hundred nanoseconds each: the same on every machine.
    #[must_use]
    pub fn steps(steps: u64) -> Self {
        Self { steps: Some(steps), late: None }
    }

    /// Until it is too late, as whoever waits for it says; it is asked about every millisecond.
    #[must_use]
    pub fn until(late: impl Fn() -> bool + 'static) -> Self {
        Self { steps: None, late: Some(Box::new(late)) }
    }
}

/// A limit while its work runs.
struct Scope {
    left: u64,
    late: Option<Box<dyn Fn() -> bool>>,
}

impl Scope {
    fn is_over(&self) -> bool {
        self.left == 0 || self.late.as_ref().is_some_and(|late| late())
    }
}

thread_local! {
    /// The limits that hold, the outermost first.
    static SCOPES: RefCell<Vec<Scope>> = const { RefCell::new(Vec::new()) };
    /// Steps that were granted at the last look.
    static GRANTED: Cell<u64> = const { Cell::new(u64::MAX) };
    /// How many of them are left.
    static LEFT: Cell<u64> = const { Cell::new(u64::MAX) };
}

/// What unwinds: the depth of the limit that was reached.
struct Stop(usize);

/// Charges what was spent since the last look, with `more`, to every limit, and grants the next steps.
fn settle(more: u64) {
    SCOPES.with_borrow_mut(|scopes| {
        let spent = GRANTED.get().saturating_sub(LEFT.get()).saturating_add(more);
        let mut next = if scopes.is_empty() { u64::MAX } else { BETWEEN_LOOKS };
        for scope in scopes {
            scope.left = scope.left.saturating_sub(spent);
            next = next.min(scope.left);
        }
        GRANTED.set(next);
        LEFT.set(next);
    });
}

/// Runs work within a limit. Limits may stand inside each other; the work unwinds to the outermost one that was reached.
///
/// # Errors
/// [`Stopped`] when this limit was reached.
pub fn within<T>(limit: Limit, work: impl FnOnce() -> T) -> Result<T, Stopped> {
    counted(limit, work).0
}

/// As [`within`], with the steps that are left of the limit.
fn counted<T>(limit: Limit, work: impl FnOnce() -> T) -> (Result<T, Stopped>, u64) {
    settle(0);
    let scope = Scope { left: limit.steps.unwrap_or(u64::MAX), late: limit.late };
    let depth = SCOPES.with_borrow_mut(|scopes| {
        scopes.push(scope);
        scopes.len()
    });
    settle(0);
    // What the work was changing is dropped with it: nobody sees it half changed.
    let done = catch_unwind(AssertUnwindSafe(work));
    settle(0);
    let left = SCOPES.with_borrow_mut(|scopes| scopes.drain(depth - 1..).next());
    settle(0);
    let done = done.or_else(|payload| match payload.downcast_ref::<Stop>() {
        Some(Stop(reached)) if *reached == depth => Err(Stopped),
        _ => resume_unwind(payload),
    });
    (done, left.map_or(0, |scope| scope.left))
}

/// What several pieces of work may cost, each by itself and all together: a heavy one is stopped, and the others are
/// still done.
#[derive(Debug, Clone)]
pub struct Purse {
    each: u64,
    left: u64,
}

impl Purse {
    /// So many steps for each piece, and so many for all.
    #[must_use]
    pub const fn new(each: u64, all: u64) -> Self {
        Self { each, left: all }
    }

    /// Does a piece of work.
    ///
    /// # Errors
    /// [`Stopped`] when it cost too much, or nothing is left for it.
    pub fn pay<T>(&mut self, work: impl FnOnce() -> T) -> Result<T, Stopped> {
        let most = self.each.min(self.left);
        if most == 0 {
            return Err(Stopped);
        }
        let (done, left) = counted(Limit::steps(most), work);
        self.left -= most - left;
        done
    }
}

/// Runs work outside of every limit: what is worked out once for all must not be stopped halfway.
pub fn unlimited<T>(work: impl FnOnce() -> T) -> T {
    settle(0);
    let aside = Aside(SCOPES.take());
    settle(0);
    let done = work();
    drop(aside);
    done
}

/// Limits that are put back, whatever happens.
struct Aside(Vec<Scope>);

impl Drop for Aside {
    fn drop(&mut self) {
        SCOPES.set(std::mem::take(&mut self.0));
        GRANTED.set(0);
        LEFT.set(0);
        settle(0);
    }
}

/// Counts steps; past a limit it does not come back.
pub fn spend(steps: u64) {
    match LEFT.get().checked_sub(steps) {
        Some(left) => LEFT.set(left),
        None => look(steps),
    }
}

#[cold]
fn look(steps: u64) {
    settle(steps);
    // What is dropped on the way out may count too.
    if std::thread::panicking() {
        return;
    }
    let reached = SCOPES.with_borrow(|scopes| scopes.iter().position(Scope::is_over));
    if let Some(at) = reached {
        resume_unwind(Box::new(Stop(at + 1)));
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    fn forever() -> ! {
        loop {
            spend(7);
        }
    }

    #[test]
    fn work_within_its_limit_is_done_and_other_work_is_stopped() {
        assert_eq!(within(Limit::steps(100), || spend(99)), Ok(()));
        assert_eq!(within(Limit::steps(100), || spend(101)), Err(Stopped));
        assert_eq!(within(Limit::steps(1_000_000), || forever()), Err(Stopped));
        // Nothing is left of it.
        spend(u64::MAX / 2);
        assert_eq!(within(Limit::steps(100), || spend(99)), Ok(()));
    }

    #[test]
    fn the_outer_limit_stops_what_the_inner_one_would_bear() {
        let inner = || within(Limit::steps(50_000), || forever());
        assert_eq!(within(Limit::steps(1_000_000), inner), Ok(Err(Stopped)));
        assert_eq!(within(Limit::steps(20_000), inner), Err(Stopped));
        // What the inner one spent counts for the outer one.
        let thrice = || (inner(), inner(), inner());
        assert_eq!(within(Limit::steps(120_000), thrice), Err(Stopped));
        let all = (Err(Stopped), Err(Stopped), Err(Stopped));
        assert_eq!(within(Limit::steps(180_000), thrice), Ok(all));
    }

    #[test]
    fn a_heavy_piece_is_stopped_and_the_others_are_paid_while_something_is_left() {
        let mut purse = Purse::new(100, 250);
        assert_eq!(purse.pay(|| spend(90)), Ok(()));
        assert_eq!(purse.pay(|| forever()), Err(Stopped));
        assert_eq!(purse.pay(|| spend(50)), Ok(()));
        assert_eq!(purse.pay(|| spend(20)), Err(Stopped));
        assert_eq!(purse.pay(|| ()), Err(Stopped));
    }

    #[test]
    fn it_is_asked_whether_it_is_late() {
        let asked = std::rc::Rc::new(Cell::new(0));
        let counts = asked.clone();
        let late = move || {
            counts.set(counts.get() + 1);
            counts.get() > 5
        };
        assert_eq!(within(Limit::until(late), || forever()), Err(Stopped));
        assert_eq!(asked.get(), 6);
    }

    #[test]
    fn what_is_worked_out_once_for_all_is_not_stopped() {
        let once = || {
            unlimited(|| spend(1_000_000));
            7
        };
        assert_eq!(within(Limit::steps(100), once), Ok(7));
        let then = || {
            once();
            forever()
        };
        assert_eq!(within(Limit::steps(100), then), Err(Stopped));
    }

    #[test]
    fn another_panic_goes_its_way() {
        let fallen = catch_unwind(|| within(Limit::steps(100), || panic!("a fall")));
        let said = fallen.expect_err("it falls").downcast_ref::<&str>().copied();
        assert_eq!(said, Some("a fall"));
        assert_eq!(within(Limit::steps(100), || spend(99)), Ok(()));
    }
}
