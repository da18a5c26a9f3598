//! The ids of what is kept: each its own type, so that a ladder's id opens no lesson.

macro_rules! id {
    ($($(#[$doc:meta])* $name:ident),* $(,)?) => {
        $(
            $(#[$doc])*
            #[derive(
                Debug, Clone, Copy, PartialEq, Eq, PartialOrd, Ord, Hash, Default,
                serde::Serialize, serde::Deserialize, sqlx::Type, utoipa::ToSchema,
            )]
            #[serde(transparent)]
            #[sqlx(transparent)]
            pub struct $name(pub u64);

            impl std::fmt::Display for $name {
                fn fmt(&self, f: &mut std::fmt::Formatter<'_>) -> std::fmt::Result {
                    self.0.fmt(f)
                }
            }
        )*
    };
}

id! {
    /// A teacher's.
    TeacherId,
    /// A lesson's.
    LessonId,
    /// A ladder's.
    LadderId,
    /// A student's desk's.
    DeskId,
    /// An image's.
    ImageId,
    /// A scenario's.
    ScenarioId,
    /// A class's.
    ClassId,
    /// A student's of a class.
    StudentId,
    /// An assignment's.
    AssignmentId,
    /// A share's.
    ShareId,
    /// A live lesson's.
    LiveId,
}
