//! The demo world: Larkmoor School and its bee garden, loaded into an empty database.

mod lessons;
mod students;

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

/// Loads the demo world when nobody has an account yet.
///
/// # Errors
/// [`DemoError`] says why it is not whole.
pub async fn load_when_empty(db: &Db) -> Result<(), DemoError> {
    if !store::teacher::none_yet(db).await? {
        return Ok(());
    }
    // Everything is made and proved before anything is kept.
    let lessons = lessons::all().map_err(DemoError::Lesson)?;
    let hash = server::password::hash(PASSWORD).map_err(|e| DemoError::Lesson(e.to_string()))?;
    let orla = store::teacher::create(db, SIGN_IN, NAME, &hash).await?;
    for mut demo in lessons {
        let lesson = store::lesson::create(db, orla, &demo.lesson).await?;
        let Some((title, plan)) = demo.ladder else { continue };
        let ladder = plan.ladder().map_err(|refused| DemoError::Lesson(refused.says))?;
        let id = store::ladder::create(db, orla, lesson, &title, &ladder, Some(&plan)).await?;
        demo.lesson.hang(id);
        store::lesson::complete(db, orla, lesson, &demo.lesson).await?;
        if demo.is_worked {
            students::work(db, id, &ladder).await?;
        }
    }
    Ok(())
}
