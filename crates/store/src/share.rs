//! What is shared: a lesson or a ladder, by a link or with every colleague.

use crate::page::{self, Page, cursor, numbers};
use crate::{Db, ImageId, LadderId, LessonId, ShareId, StoreError, TeacherId, link};
use lesson::Lesson;
use serde::{Deserialize, Serialize};
use sqlx::types::Json;
use sqlx::{MySql, Transaction};
use utoipa::ToSchema;

/// Most shares of one lesson or ladder.
pub const MOST_SHARES: i64 = 20;

/// What a share lets others do.
#[derive(Debug, Clone, Copy, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
pub enum ShareKind {
    /// Look at it, without an account.
    Look,
    /// Look, and take a copy.
    Copy,
    /// Edit a lesson together with its owner.
    Edit,
    /// Every colleague of this installation finds it, and may take a copy.
    Department,
}

impl ShareKind {
    const fn name(self) -> &'static str {
        match self {
            Self::Look => "look",
            Self::Copy => "copy",
            Self::Edit => "edit",
            Self::Department => "department",
        }
    }

    fn named(name: &str) -> Self {
        match name {
            "copy" => Self::Copy,
            "edit" => Self::Edit,
            "department" => Self::Department,
            _ => Self::Look,
        }
    }

    /// Whether it lets others take a copy.
    #[must_use]
    pub const fn copies(self) -> bool {
        !matches!(self, Self::Look)
    }
}

/// What is shared.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub enum Shared {
    /// A lesson.
    Lesson(LessonId),
    /// A ladder.
    Ladder(LadderId),
}

impl Shared {
    const fn ids(self) -> (Option<LessonId>, Option<LadderId>) {
        match self {
            Self::Lesson(id) => (Some(id), None),
            Self::Ladder(id) => (None, Some(id)),
        }
    }
}

/// A share.
#[derive(Debug, Clone, PartialEq, Eq)]
pub struct Share {
    /// Its id.
    pub id: ShareId,
    /// Whose it is.
    pub owner: TeacherId,
    /// What is shared.
    pub what: Shared,
    /// What others may do.
    pub kind: ShareKind,
    /// Of a ladder: whether its key is shown.
    pub with_key: bool,
    /// Opens it.
    pub link: String,
    /// When it opens nothing any more, as Unix time in seconds.
    pub expires: Option<i64>,
}

#[derive(sqlx::FromRow)]
struct Row {
    id: ShareId,
    owner: TeacherId,
    lesson: Option<LessonId>,
    ladder: Option<LadderId>,
    kind: String,
    with_key: bool,
    link: String,
    expires: Option<i64>,
}

impl Row {
    fn share(self) -> Option<Share> {
        let Self { id, owner, lesson, ladder, kind, with_key, link, expires } = self;
        let what = lesson.map(Shared::Lesson).or(ladder.map(Shared::Ladder))?;
        let kind = ShareKind::named(&kind);
        Some(Share { id, owner, what, kind, with_key, link, expires })
    }
}

/// Makes sure that a lesson or ladder is that teacher's, and that nobody else changes its shares until the transaction
/// ends.
async fn lock(
    transaction: &mut Transaction<'_, MySql>,
    owner: TeacherId,
    what: Shared,
) -> Result<(), StoreError> {
    let query = match what {
        Shared::Lesson(id) => {
            sqlx::query_scalar("SELECT id FROM lesson WHERE id = ? AND owner = ? FOR UPDATE")
                .bind(id.0)
        }
        Shared::Ladder(id) => {
            sqlx::query_scalar("SELECT id FROM ladder WHERE id = ? AND owner = ? FOR UPDATE")
                .bind(id.0)
        }
    };
    let found: Option<u64> = query.bind(owner).fetch_optional(&mut **transaction).await?;
    found.map(|_| ()).ok_or(StoreError::NotFound)
}

/// Shares a teacher's lesson or ladder. With colleagues it is shared once: a second time gives the same share.
///
/// # Errors
/// [`StoreError::NotFound`] when it is not theirs, [`StoreError::Full`] past [`MOST_SHARES`].
pub async fn create(
    db: &Db,
    owner: TeacherId,
    what: Shared,
    kind: ShareKind,
    with_key: bool,
    expires: Option<i64>,
) -> Result<Share, StoreError> {
    let mut transaction = db.begin().await?;
    lock(&mut transaction, owner, what).await?;
    let (lesson, ladder) = what.ids();
    let sql = "SELECT * FROM share WHERE lesson <=> ? AND ladder <=> ?";
    let rows: Vec<Row> =
        sqlx::query_as(sql).bind(lesson).bind(ladder).fetch_all(&mut *transaction).await?;
    let known: Vec<Share> = rows.into_iter().filter_map(Row::share).collect();
    let is_again = |known: &&Share| kind == ShareKind::Department && known.kind == kind;
    if let Some(again) = known.iter().find(is_again) {
        return Ok(again.clone());
    }
    if i64::try_from(known.len()).unwrap_or(i64::MAX) >= MOST_SHARES {
        return Err(StoreError::Full);
    }
    let link = link();
    let sql = "INSERT INTO share (owner, lesson, ladder, kind, with_key, link, expires)
               VALUES (?, ?, ?, ?, ?, ?, ?)";
    let query = sqlx::query(sql).bind(owner).bind(lesson).bind(ladder).bind(kind.name());
    let query = query.bind(with_key).bind(&link).bind(expires);
    let id = ShareId(query.execute(&mut *transaction).await?.last_insert_id());
    transaction.commit().await?;
    Ok(Share { id, owner, what, kind, with_key, link, expires })
}

/// The shares of a teacher's lesson or ladder, the first made first.
///
/// # Errors
/// [`StoreError::NotFound`] when it is not theirs.
pub async fn of(db: &Db, owner: TeacherId, what: Shared) -> Result<Vec<Share>, StoreError> {
    let mut transaction = db.begin().await?;
    lock(&mut transaction, owner, what).await?;
    let (lesson, ladder) = what.ids();
    let sql = "SELECT * FROM share WHERE lesson <=> ? AND ladder <=> ? ORDER BY id";
    let rows: Vec<Row> =
        sqlx::query_as(sql).bind(lesson).bind(ladder).fetch_all(&mut *transaction).await?;
    transaction.commit().await?;
    Ok(rows.into_iter().filter_map(Row::share).collect())
}

/// Ends a share: its link opens nothing any more, and whoever was let in by it to edit is out.
///
/// # Errors
/// [`StoreError::NotFound`] when it is not theirs.
pub async fn remove(db: &Db, owner: TeacherId, id: ShareId) -> Result<(), StoreError> {
    let mut transaction = db.begin().await?;
    let sql = "DELETE FROM share WHERE id = ? AND owner = ?";
    let done = sqlx::query(sql).bind(id).bind(owner).execute(&mut *transaction).await?;
    if done.rows_affected() == 0 {
        return Err(StoreError::NotFound);
    }
    let sql = "DELETE FROM lesson_editor WHERE share = ?";
    sqlx::query(sql).bind(id).execute(&mut *transaction).await?;
    transaction.commit().await?;
    Ok(())
}

/// The share that a link opens at `now`.
///
/// # Errors
/// [`StoreError::NotFound`] when it opens none, or none any more.
pub async fn by_link(db: &Db, link: &str, now: i64) -> Result<Share, StoreError> {
    let sql = "SELECT * FROM share WHERE link = ?";
    let row: Option<Row> = sqlx::query_as(sql).bind(link).fetch_optional(db).await?;
    let share = row.and_then(Row::share);
    // The column compares letters without their case; a link does not.
    let holds = |share: &Share| share.link == link && share.expires.is_none_or(|at| at > now);
    share.filter(holds).ok_or(StoreError::NotFound)
}

/// Lets a teacher edit the lesson of a share together with its owner.
///
/// # Errors
/// [`StoreError::NotFound`] when the share lets nobody edit.
pub async fn let_in(db: &Db, share: &Share, teacher: TeacherId) -> Result<LessonId, StoreError> {
    let (ShareKind::Edit, Shared::Lesson(lesson)) = (share.kind, share.what) else {
        return Err(StoreError::NotFound);
    };
    if teacher != share.owner {
        let sql = "INSERT INTO lesson_editor (lesson, teacher, share) VALUES (?, ?, ?)
                   ON DUPLICATE KEY UPDATE share = VALUES(share)";
        sqlx::query(sql).bind(lesson).bind(teacher).bind(share.id).execute(db).await?;
    }
    Ok(lesson)
}

/// The owner of a lesson that a teacher may edit: their own, or one that they were let in to.
///
/// # Errors
/// [`StoreError::NotFound`] when they may not, and equally when there is none.
pub async fn edited_by(
    db: &Db,
    teacher: TeacherId,
    lesson: LessonId,
) -> Result<TeacherId, StoreError> {
    let sql = "SELECT owner FROM lesson WHERE id = ? AND (owner = ? OR EXISTS (
                 SELECT 1 FROM lesson_editor WHERE lesson_editor.lesson = lesson.id AND teacher = ?))";
    let query = sqlx::query_scalar(sql).bind(lesson).bind(teacher).bind(teacher);
    query.fetch_optional(db).await?.ok_or(StoreError::NotFound)
}

/// The owner of a ladder that a teacher may look at: their own, or one that hangs on a lesson which they edit.
///
/// # Errors
/// [`StoreError::NotFound`] when they may not, and equally when there is none.
pub async fn ladder_seen_by(
    db: &Db,
    teacher: TeacherId,
    ladder: LadderId,
) -> Result<TeacherId, StoreError> {
    let sql = "SELECT owner FROM ladder WHERE id = ? AND (owner = ? OR EXISTS (
                 SELECT 1 FROM lesson_editor WHERE lesson_editor.lesson = ladder.lesson AND teacher = ?))";
    let query = sqlx::query_scalar(sql).bind(ladder).bind(teacher).bind(teacher);
    query.fetch_optional(db).await?.ok_or(StoreError::NotFound)
}

/// The lessons that a teacher was let in to edit, with the names of their owners, by title.
///
/// # Errors
/// The database does not answer.
pub async fn with(db: &Db, teacher: TeacherId) -> Result<Vec<Offered>, StoreError> {
    let sql = "SELECT lesson.id, lesson.id AS lesson, NULL AS ladder, '' AS link, lesson.title,
                 lesson.grade, teacher.name AS from_whom
               FROM lesson_editor JOIN lesson ON lesson.id = lesson_editor.lesson
               JOIN teacher ON teacher.id = lesson.owner
               WHERE lesson_editor.teacher = ? AND lesson.place = 'shelf' ORDER BY lesson.title";
    Ok(sqlx::query_as(sql).bind(teacher).fetch_all(db).await?)
}

/// The names of those who edit a lesson together with its owner.
///
/// # Errors
/// The database does not answer.
pub async fn editors(db: &Db, lesson: LessonId) -> Result<Vec<String>, StoreError> {
    let sql = "SELECT teacher.name FROM lesson_editor
               JOIN teacher ON teacher.id = lesson_editor.teacher
               WHERE lesson_editor.lesson = ? ORDER BY teacher.name";
    Ok(sqlx::query_scalar(sql).bind(lesson).fetch_all(db).await?)
}

/// What a colleague offers.
#[derive(Debug, Clone, PartialEq, Eq, sqlx::FromRow)]
pub struct Offered {
    /// A number to tell them apart.
    pub id: u64,
    /// The lesson, when it is one.
    pub lesson: Option<LessonId>,
    /// The ladder, when it is one.
    pub ladder: Option<LadderId>,
    /// Opens it; empty where it is edited together.
    pub link: String,
    /// What it is called.
    pub title: String,
    /// The grade of a lesson.
    pub grade: Option<u8>,
    /// The name of its owner.
    pub from_whom: String,
}

/// A page of what is shared with every colleague, the latest first.
///
/// # Errors
/// [`StoreError::NoSuchPage`] for a cursor that is not one of ours.
pub async fn department(db: &Db, after: Option<&str>) -> Result<Page<Offered>, StoreError> {
    let [before] = after.map_or(Ok([i64::MAX]), numbers)?;
    let sql = "SELECT share.id, share.lesson, share.ladder, share.link,
                 COALESCE(lesson.title, ladder.title) AS title, lesson.grade,
                 teacher.name AS from_whom
               FROM share JOIN teacher ON teacher.id = share.owner
               LEFT JOIN lesson ON lesson.id = share.lesson
               LEFT JOIN ladder ON ladder.id = share.ladder
               WHERE share.kind = 'department' AND share.id < ?
                 AND COALESCE(lesson.place, 'shelf') = 'shelf'
                 AND COALESCE(lesson.id, ladder.id) IS NOT NULL
               ORDER BY share.id DESC LIMIT ?";
    let query = sqlx::query_as(sql).bind(before).bind(page::MOST + 1);
    let entries: Vec<Offered> = query.fetch_all(db).await?;
    Ok(Page::of(entries, page::MOST, |last| cursor([last.id.into()])))
}

/// The kind and the bytes of an image that stands in a lesson which both the teacher and the image's owner edit.
///
/// # Errors
/// [`StoreError::NotFound`] when there is no such lesson.
pub async fn image(
    db: &Db,
    teacher: TeacherId,
    id: ImageId,
) -> Result<(String, Vec<u8>), StoreError> {
    type Held = (TeacherId, String, Vec<u8>);
    let sql = "SELECT owner, kind, bytes FROM image WHERE id = ?";
    let found: Option<Held> = sqlx::query_as(sql).bind(id).fetch_optional(db).await?;
    let (owner, kind, bytes) = found.ok_or(StoreError::NotFound)?;
    if owner == teacher {
        return Ok((kind, bytes));
    }
    let people = "(SELECT owner AS teacher, id AS lesson FROM lesson
                   UNION SELECT teacher, lesson FROM lesson_editor)";
    let sql = format!(
        "SELECT lesson.document FROM lesson
         JOIN lesson_editor ON lesson_editor.lesson = lesson.id
         JOIN {people} AS me ON me.lesson = lesson.id AND me.teacher = ?
         JOIN {people} AS them ON them.lesson = lesson.id AND them.teacher = ?
         GROUP BY lesson.id"
    );
    let query = sqlx::query_scalar(sqlx::AssertSqlSafe(sql)).bind(teacher).bind(owner);
    let together: Vec<Json<Lesson>> = query.fetch_all(db).await?;
    let shows = together.iter().any(|Json(lesson)| lesson.images().any(|image| image == id.0));
    if shows { Ok((kind, bytes)) } else { Err(StoreError::NotFound) }
}

/// Where a copy came from, and whose it is, as is said above it.
#[derive(Debug, Clone, PartialEq, Eq, sqlx::FromRow)]
pub struct Origin {
    /// Where it came from, in words; none for one's own.
    pub came_from: Option<String>,
    /// The name of its owner.
    pub owner: String,
}

/// Where a lesson or ladder came from.
///
/// # Errors
/// [`StoreError::NotFound`] when there is none.
pub async fn origin(db: &Db, what: Shared) -> Result<Origin, StoreError> {
    let query = match what {
        Shared::Lesson(id) => sqlx::query_as(
            "SELECT lesson.came_from, teacher.name AS owner FROM lesson
             JOIN teacher ON teacher.id = lesson.owner WHERE lesson.id = ?",
        )
        .bind(id.0),
        Shared::Ladder(id) => sqlx::query_as(
            "SELECT ladder.came_from, teacher.name AS owner FROM ladder
             JOIN teacher ON teacher.id = ladder.owner WHERE ladder.id = ?",
        )
        .bind(id.0),
    };
    query.fetch_optional(db).await?.ok_or(StoreError::NotFound)
}
