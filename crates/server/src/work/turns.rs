//! Whose turn it is: turns go round the crowds, and in each crowd round those who are in it, however many of one's
//! requests wait.

use super::Asker;
use std::collections::{BTreeSet, VecDeque};
use std::sync::{Arc, Mutex, MutexGuard, PoisonError};
use tokio::sync::oneshot::{self, Sender};

/// Most requests of one asker that wait.
const MOST_OF_ONE: usize = 12;
/// Most requests that wait in all.
const MOST: usize = 600;
/// Requests that are done in a second, at least: what whoever comes too much is told to wait by.
const IN_A_SECOND: usize = 60;

/// There is no room to wait.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub(super) struct Full {
    /// When to come again.
    pub seconds: u32,
}

/// So many turns at a time.
pub(super) struct Turns(Arc<Mutex<Queue>>);

/// Somebody's turn, until it is dropped.
pub(super) struct Turn {
    queue: Arc<Mutex<Queue>>,
    asker: Asker,
}

struct Queue {
    free: usize,
    /// Who has a turn: one at a time each.
    busy: BTreeSet<Asker>,
    /// The one whose turn is next first.
    waiting: VecDeque<(Asker, VecDeque<Sender<Turn>>)>,
}

fn locked(queue: &Mutex<Queue>) -> MutexGuard<'_, Queue> {
    // No queue is left half changed.
    queue.lock().unwrap_or_else(PoisonError::into_inner)
}

impl Turns {
    pub(super) fn new(free: usize) -> Self {
        let queue = Queue { free, busy: BTreeSet::new(), waiting: VecDeque::new() };
        Self(Arc::new(Mutex::new(queue)))
    }

    /// Waits for a turn.
    pub(super) async fn take(&self, asker: Asker) -> Result<Turn, Full> {
        let (sender, turn) = oneshot::channel();
        locked(&self.0).add(asker, sender)?;
        hand_out(&self.0);
        // The sender is dropped with the queue alone.
        turn.await.map_err(|_| Full { seconds: 1 })
    }
}

impl Drop for Turn {
    fn drop(&mut self) {
        {
            let mut queue = locked(&self.queue);
            queue.free += 1;
            queue.busy.remove(&self.asker);
        }
        hand_out(&self.queue);
    }
}

/// Gives out the turns that are free. The queue is not locked while one is given: a turn that nobody takes comes back.
fn hand_out(queue: &Arc<Mutex<Queue>>) {
    loop {
        let Some((asker, sender)) = locked(queue).next() else { return };
        // Whoever has gone drops it, and leaves it to the next one.
        drop(sender.send(Turn { queue: Arc::clone(queue), asker }));
    }
}

impl Queue {
    fn add(&mut self, asker: Asker, sender: Sender<Turn>) -> Result<(), Full> {
        // Whoever has gone takes no room.
        for (_, senders) in &mut self.waiting {
            senders.retain(|sender| !sender.is_closed());
        }
        self.waiting.retain(|(_, senders)| !senders.is_empty());
        let all: usize = self.waiting.iter().map(|(_, senders)| senders.len()).sum();
        let own = self.waiting.iter().position(|(other, _)| *other == asker);
        let of_one = own.map_or(0, |at| self.waiting[at].1.len());
        if all >= MOST || of_one >= MOST_OF_ONE {
            let seconds = u32::try_from(all / IN_A_SECOND).unwrap_or(u32::MAX);
            return Err(Full { seconds: seconds.clamp(1, 10) });
        }
        match own {
            Some(at) => self.waiting[at].1.push_back(sender),
            None => self.waiting.push_back((asker, VecDeque::from([sender]))),
        }
        Ok(())
    }

    /// The next one whose turn it is: of the crowd that has the fewest turns now, the one who has waited longest.
    fn next(&mut self) -> Option<(Asker, Sender<Turn>)> {
        if self.free == 0 {
            return None;
        }
        let turns_of = |asker: &Asker| self.busy.iter().filter(|b| b.crowd == asker.crowd).count();
        let may = |asker: &Asker| !self.busy.contains(asker);
        let at = (0..self.waiting.len())
            .filter(|&at| may(&self.waiting[at].0))
            .min_by_key(|&at| turns_of(&self.waiting[at].0))?;
        let (asker, mut senders) = self.waiting.remove(at)?;
        let sender = senders.pop_front()?;
        if !senders.is_empty() {
            self.waiting.push_back((asker, senders));
        }
        // The others of the crowd stand behind everybody else now.
        let (same, others): (VecDeque<_>, VecDeque<_>) = std::mem::take(&mut self.waiting)
            .into_iter()
            .partition(|(other, _)| other.crowd == asker.crowd);
        self.waiting = others;
        self.waiting.extend(same);
        self.free -= 1;
        self.busy.insert(asker);
        Some((asker, sender))
    }
}

#[cfg(test)]
mod tests {
    use super::*;
    use crate::work::Crowd;
    use store::{LadderId, TeacherId};

    fn student(ladder: u64, one: u64) -> Asker {
        Asker { crowd: Crowd::Ladder(LadderId(ladder)), one }
    }

    /// Who has the turns, one after the other, when all of them wait and one turn is free.
    fn order(waiting: &[Asker]) -> Vec<Asker> {
        let mut queue = Queue { free: 1, busy: BTreeSet::new(), waiting: VecDeque::new() };
        let mut receivers = Vec::new();
        for &asker in waiting {
            let (sender, receiver) = oneshot::channel();
            queue.add(asker, sender).expect("room");
            receivers.push(receiver);
        }
        std::iter::from_fn(|| {
            let (asker, _) = queue.next()?;
            queue.free += 1;
            queue.busy.remove(&asker);
            Some(asker)
        })
        .collect()
    }

    #[test]
    fn turns_go_round_however_many_of_one_wait() {
        let [a, b, c] = [student(1, 1), student(1, 2), student(2, 1)];
        assert_eq!(order(&[a, a, a, b, c]), [a, c, b, a, a]);
        assert_eq!(order(&[a, a, b, b]), [a, b, a, b]);
        // A crowd of many does not push one of another back.
        let crowd: Vec<Asker> = (0..50).map(|one| student(1, one)).collect();
        let order = order(&[&crowd[..], &[c, c, c]].concat());
        let places: Vec<usize> = (0..order.len()).filter(|&at| order[at] == c).collect();
        assert_eq!(places, [1, 3, 5]);
    }

    #[test]
    fn nobody_has_two_turns_at_a_time() {
        let mut queue = Queue { free: 3, busy: BTreeSet::new(), waiting: VecDeque::new() };
        let mut receivers = Vec::new();
        for asker in [student(1, 1), student(1, 1), student(1, 2)] {
            let (sender, receiver) = oneshot::channel();
            queue.add(asker, sender).expect("room");
            receivers.push(receiver);
        }
        let given: Vec<Asker> =
            std::iter::from_fn(|| queue.next().map(|(asker, _)| asker)).collect();
        assert_eq!(given, [student(1, 1), student(1, 2)]);
    }

    #[test]
    fn who_asks_too_often_is_told_when_to_come_again_and_who_has_gone_takes_no_room() {
        let mut queue = Queue { free: 0, busy: BTreeSet::new(), waiting: VecDeque::new() };
        let mut receivers = Vec::new();
        let mut add = |queue: &mut Queue, asker| {
            let (sender, receiver) = oneshot::channel();
            receivers.push(receiver);
            queue.add(asker, sender)
        };
        for _ in 0..MOST_OF_ONE {
            assert_eq!(add(&mut queue, student(1, 1)), Ok(()));
        }
        assert_eq!(add(&mut queue, student(1, 1)), Err(Full { seconds: 1 }));
        for one in 2.. {
            if let Err(full) = add(&mut queue, student(1, one)) {
                assert_eq!(full, Full { seconds: 10 });
                break;
            }
        }
        drop(receivers);
        let (sender, _receiver) = oneshot::channel();
        assert_eq!(queue.add(student(1, 1), sender), Ok(()));
        assert_eq!(queue.waiting.len(), 1);
    }

    #[tokio::test]
    async fn a_turn_comes_back_when_it_is_dropped_or_nobody_takes_it() {
        let turns = Turns::new(1);
        let asker = Asker::teacher(TeacherId(1));
        let first = turns.take(asker).await;
        let other = Asker::teacher(TeacherId(2));
        // Waits, and goes away.
        let gone = tokio::time::timeout(std::time::Duration::ZERO, turns.take(other)).await;
        assert!(gone.is_err());
        drop(first);
        assert!(turns.take(asker).await.is_ok());
        assert_eq!(locked(&turns.0).free, 1);
    }
}
