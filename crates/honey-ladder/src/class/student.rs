//! One simulated student.

use super::mind::{Luck, answer};
use super::wire::{Browser, Listener, Site};
use hyper::Method;
use serde_json::{Value, json};
use std::collections::hash_map::DefaultHasher;
use std::hash::{Hash, Hasher};
use std::ops::RangeInclusive;
use std::sync::Arc;
use std::time::Duration;
use tokio::time::{Instant, sleep, timeout_at};

/// How a student works.
#[derive(Clone)]
pub(super) struct Habits {
    /// How long they think.
    pub think: RangeInclusive<Duration>,
    /// How many of a hundred answers are slips.
    pub slips: u8,
    /// How long they stay; until the lesson ends when absent.
    pub stays: Option<Duration>,
}

/// A student who is in a live lesson.
pub(super) struct Student {
    site: Arc<Site>,
    browser: Browser,
    code: String,
    habits: Habits,
    luck: Luck,
    sent: u64,
}

impl Student {
    /// Comes in with a first name.
    pub(super) async fn join(
        site: Arc<Site>,
        code: &str,
        name: &str,
        habits: Habits,
    ) -> Result<Self, String> {
        let mut browser = Browser::default();
        let path = format!("/api/join/{code}");
        site.ask(&mut browser, Method::POST, &path, Some(json!({"name": name}))).await?;
        let mut seed = DefaultHasher::new();
        (code, name).hash(&mut seed);
        let luck = Luck::of(seed.finish());
        Ok(Self { site, browser, code: code.to_owned(), habits, luck, sent: 0 })
    }

    pub(super) async fn listen(&self) -> Result<Listener, String> {
        self.site.listen(&self.browser, &format!("/api/join/{}/socket", self.code)).await
    }

    /// Answers what is asked until the lesson ends or it is time to go; tells how many answers were given.
    pub(super) async fn attend(&mut self) -> Result<usize, String> {
        let far = Duration::from_secs(24 * 3_600);
        let until = Instant::now() + self.habits.stays.unwrap_or(far);
        let mut listener = self.listen().await?;
        let (mut gave, mut done) = (0, 0);
        while let Ok(told) = timeout_at(until, listener.next()).await {
            let Some(now) = told else {
                // The connection is lost: it is taken up again.
                sleep(Duration::from_millis(500 + self.luck.below(1_500))).await;
                if Instant::now() > until {
                    break;
                }
                if let Ok(again) = self.listen().await {
                    listener = again;
                }
                continue;
            };
            if now["ended"] == true {
                break;
            }
            let number = now["question"]["number"].as_u64().unwrap_or(0);
            if number <= done || now["question"]["open"] != true {
                continue;
            }
            done = number;
            sleep(self.thinks()).await;
            if self.give(number, &now["question"]["asked"]).await.is_ok() {
                gave += 1;
            }
        }
        Ok(gave)
    }

    pub(super) fn thinks(&mut self) -> Duration {
        let (least, most) = (*self.habits.think.start(), *self.habits.think.end());
        let between = u64::try_from((most - least).as_millis()).unwrap_or(0);
        least + Duration::from_millis(self.luck.below(between + 1))
    }

    /// Answers a question, and tells how the lesson stands then.
    pub(super) async fn give(&mut self, number: u64, asked: &Value) -> Result<Value, String> {
        let given = answer(asked, &mut self.luck, self.habits.slips);
        self.sent += 1;
        let token = format!("sim{:012}{:08}", self.luck.below(u64::from(u32::MAX)), self.sent);
        let does = json!({"kind": "gave", "question": number, "given": given});
        let path = format!("/api/join/{}/events", self.code);
        let body = json!({"token": token, "does": does});
        self.site.ask(&mut self.browser, Method::POST, &path, Some(body)).await
    }
}
