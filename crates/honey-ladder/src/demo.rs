//! The demo world: Larkmoor School and its bee garden, loaded into an empty database.

mod classes;
mod lessons;
mod live;
mod students;

pub(crate) use students::slip;

use store::lesson::{New, NewLadder};
use store::{Db, StoreError};

/// The demo teacher signs in by this name.
pub const SIGN_IN: &str = "orla";
/// And with this password.
pub const PASSWORD: &str = "clover-and-heather";
const NAME: &str = "Orla Fenwick";

/// Why the demo world is not there.
#[derive(Debug, thiserror::Error)]
pub enum DemoError {
    /// The database did not keep it.
    #[error(transparent)]
    Store(#[from] StoreError),
    /// A lesson of ours is wrong.
    #[error("{0}")]
    Lesson(String),
}

/// Whether the demo teacher is there.
pub async fn is_there(db: &Db) -> bool {
    store::teacher::by_sign_in(db, SIGN_IN).await.is_ok_and(|teacher| teacher.name == NAME)
}

/// Under this name it is known how far the demo world has come.
const SETTING: &str = "demo";
const BEGUN: &str = "begun";
const WHOLE: &str = "whole";

/// Loads the demo world when nobody has an account yet. One that was cut off is taken away and loaded anew: nobody has
/// worked in it, since nothing is served before it is whole.
///
/// # Errors
/// [`DemoError`] says why it is not whole.
pub async fn load_when_empty(db: &Db) -> Result<(), DemoError> {
    if store::setting::get(db, SETTING).await?.as_deref() == Some(BEGUN) {
        match store::teacher::by_sign_in(db, SIGN_IN).await {
            Ok(partial) => store::teacher::remove(db, partial.id).await?,
            Err(StoreError::NotFound) => {}
            Err(error) => return Err(error.into()),
        }
    }
    if !store::teacher::none_yet(db).await? {
        return Ok(());
    }
    // Everything is made and proved before anything is kept.
    let lessons = lessons::all().map_err(DemoError::Lesson)?;
    let hash = server::password::hash(PASSWORD).map_err(|e| DemoError::Lesson(e.to_string()))?;
    store::setting::set(db, SETTING, BEGUN).await?;
    let orla = store::teacher::create(db, SIGN_IN, NAME, &hash).await?;
    let (mut ladders, mut taught) = (Vec::new(), None);
    for demo in lessons {
        let lesson = demo.lesson.clone();
        let mut new = New::from(demo.lesson);
        if let Some((title, plan)) = demo.ladder {
            let ladder = plan.ladder().map_err(|refused| DemoError::Lesson(refused.says))?;
            new.ladders = vec![NewLadder { named: 0, title, ladder, plan: Some(plan) }];
        }
        let made: Vec<_> = new.ladders.iter().map(|new| new.ladder.clone()).collect();
        let id = store::lesson::create(db, orla, new).await?;
        ladders.extend(store::ladder::of_lesson(db, orla, id).await?);
        // The first lesson of the class's own grade was taught live.
        if lesson.grade == 7 && taught.is_none() {
            taught = Some((id, lesson));
        }
        if !demo.is_worked {
            continue;
        }
        for (hung, ladder) in store::ladder::hung(db, orla, id).await?.iter().zip(&made) {
            students::work(db, hung.id, ladder).await?;
        }
    }
    let now = std::time::SystemTime::now().duration_since(std::time::UNIX_EPOCH);
    let now = now.map_or(0, |time| i64::try_from(time.as_secs()).unwrap_or(0));
    let class = classes::taught(db, orla, &ladders, now).await?;
    if let Some((id, lesson)) = &taught {
        live::held(db, orla, class, (*id, lesson), now).await?;
    }
    store::setting::set(db, SETTING, WHOLE).await?;
    Ok(())
}
