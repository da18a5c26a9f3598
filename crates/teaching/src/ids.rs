//! The ids of methods and slips. They are stored with problems and answers, and never renamed.
//!
//! An id is written once, where its method or slip is declared, and used by the name of its constant, so that the
//! compiler finds a misspelt one:
//!
//! ```
//! assert_eq!(teaching::ids::method::ELIMINATION.as_str(), "elimination");
//! ```
//! ```compile_fail,E0425
//! assert_eq!(teaching::ids::method::ELIMINTAION.as_str(), "elimination");
//! ```
//!
//! Ids that come in from outside are looked up in the catalogue (`skills::ids`).

use serde::{Serialize, Serializer};
use std::fmt;

macro_rules! id {
    ($(#[$doc:meta])* $name:ident) => {
        $(#[$doc])*
        #[derive(Clone, Copy, PartialEq, Eq, PartialOrd, Ord, Hash)]
        pub struct $name(&'static str);

        impl $name {
            /// Declares it.
            #[must_use]
            pub const fn new(id: &'static str) -> Self {
                Self(id)
            }

            /// As it is stored.
            #[must_use]
            pub const fn as_str(self) -> &'static str {
                self.0
            }
        }

        impl fmt::Display for $name {
            fn fmt(&self, f: &mut fmt::Formatter<'_>) -> fmt::Result {
                f.write_str(self.0)
            }
        }

        impl fmt::Debug for $name {
            fn fmt(&self, f: &mut fmt::Formatter<'_>) -> fmt::Result {
                fmt::Debug::fmt(self.0, f)
            }
        }

        impl Serialize for $name {
            fn serialize<S: Serializer>(&self, to: S) -> Result<S::Ok, S::Error> {
                to.serialize_str(self.0)
            }
        }
    };
}

id! {
    /// One of the ways a skill may be taught.
    MethodId
}

id! {
    /// A known mistake.
    SlipId
}

/// The methods that the solver itself knows.
pub mod method {
    use super::MethodId;
    use algebra::solve::Way;

    /// Where there is but one.
    pub const USUAL: MethodId = MethodId::new(Way::Usual.name());
    /// A letter of a system goes by adding or subtracting.
    pub const ELIMINATION: MethodId = MethodId::new("elimination");
    /// A letter of a system goes by putting in what it equals.
    pub const SUBSTITUTION: MethodId = MethodId::new("substitution");

    /// The id of a way in which an equation in one unknown is worked.
    #[must_use]
    pub const fn of(way: Way) -> MethodId {
        MethodId::new(way.name())
    }
}
