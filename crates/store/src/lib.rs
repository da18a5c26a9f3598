//! What is kept, in MariaDB, through SQLx.
//!
//! What belongs here: migrations, and one module of queries per aggregate; each function is one
//! transaction, commits once, and asks whose the thing is. What never does: HTTP, and rules of the job (they are in
//! `teaching`). SQL is a literal with bound values.

pub mod assignment;
pub mod attempt;
pub mod audit;
pub mod bench;
pub mod class;
mod database;
pub mod desk;
mod id;
pub mod image;
pub mod ladder;
pub mod lesson;
pub mod live;
pub mod page;
pub mod scenario;
pub mod session;
pub mod setting;
pub mod share;
mod summaries;
pub mod teacher;
pub mod token;

pub use database::{Db, Opening, StoreError, connect, link, open};
pub use id::{
    AssignmentId, ClassId, DeskId, ImageId, LadderId, LessonId, LiveId, ScenarioId, ShareId,
    StudentId, TeacherId,
};
pub use page::Page;
