//! What a line of a working is for.

/// What a line of a working is for. A line holds when it does what its role allows.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub enum Role {
    /// The problem itself.
    Starts,
    /// Says the same as the line above.
    Follows,
    /// May gain solutions: squaring, multiplying by the unknown.
    MayAdd,
    /// Splits into cases.
    Splits,
    /// Gives a letter its meaning.
    Defines,
    /// Puts a value into the problem.
    Checks,
    /// Drops exactly what does not satisfy the problem.
    Rejects,
    /// Rounds the line above.
    Rounds,
    /// The answer.
    Concludes,
}

impl Role {
    /// All roles.
    pub const ALL: [Self; 9] = [
        Self::Starts,
        Self::Follows,
        Self::MayAdd,
        Self::Splits,
        Self::Defines,
        Self::Checks,
        Self::Rejects,
        Self::Rounds,
        Self::Concludes,
    ];

    /// The role of that name.
    #[must_use]
    pub fn named(name: &str) -> Option<Self> {
        Self::ALL.into_iter().find(|role| role.name() == name)
    }

    /// Its name in files and answers.
    #[must_use]
    pub const fn name(self) -> &'static str {
        match self {
            Self::Starts => "starts",
            Self::Follows => "follows",
            Self::MayAdd => "may_add",
            Self::Splits => "splits",
            Self::Defines => "defines",
            Self::Checks => "checks",
            Self::Rejects => "rejects",
            Self::Rounds => "rounds",
            Self::Concludes => "concludes",
        }
    }
}
