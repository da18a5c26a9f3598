//! Ids of methods and slips as they come in from outside: looked up among those that the catalogue declares.
//!
//! The functions are for `#[serde(deserialize_with = "…")]`, the types for the description of the API.

use crate::SKILLS;
use serde::de::{Deserialize, Deserializer, Error};
use std::borrow::Cow;
use std::collections::{BTreeMap, BTreeSet};
use std::sync::LazyLock;
use teaching::ids::{self, MethodId, SlipId};
use teaching::slips::{SLIPS, Slip};
use teaching::stored::one_of;
use utoipa::openapi::{RefOr, Schema};
use utoipa::{PartialSchema, ToSchema};

static METHODS: LazyLock<BTreeSet<MethodId>> = LazyLock::new(|| {
    let of_skills = SKILLS.iter().flat_map(|skill| skill.card().methods).map(|method| method.id);
    of_skills.chain([ids::method::USUAL]).collect()
});

static ALL_SLIPS: LazyLock<BTreeSet<SlipId>> = LazyLock::new(|| {
    let of_skills = SKILLS.iter().flat_map(|skill| skill.slips());
    of_skills.chain(SLIPS).map(|slip| slip.id()).collect()
});

/// The method with that id.
#[must_use]
pub fn method_named(id: &str) -> Option<MethodId> {
    METHODS.iter().find(|method| method.as_str() == id).copied()
}

/// The slip with that id.
#[must_use]
pub fn slip_named(id: &str) -> Option<SlipId> {
    ALL_SLIPS.iter().find(|slip| slip.as_str() == id).copied()
}

/// The slip itself: what it says to students and to teachers.
#[must_use]
pub fn slip_of(id: SlipId) -> Option<&'static dyn Slip> {
    let of_skills = SKILLS.iter().flat_map(|skill| skill.slips());
    of_skills.chain(SLIPS).copied().find(|slip| slip.id() == id)
}

/// Reads a method.
///
/// # Errors
/// An id that no method has.
pub fn method<'de, D: Deserializer<'de>>(from: D) -> Result<MethodId, D::Error> {
    let id = String::deserialize(from)?;
    method_named(&id).ok_or_else(|| D::Error::custom(format!("there is no method “{id}”")))
}

/// Reads a method that may be absent.
///
/// # Errors
/// An id that no method has.
pub fn method_if_any<'de, D: Deserializer<'de>>(from: D) -> Result<Option<MethodId>, D::Error> {
    let Some(id) = Option::<String>::deserialize(from)? else { return Ok(None) };
    let found = method_named(&id);
    found.map(Some).ok_or_else(|| D::Error::custom(format!("there is no method “{id}”")))
}

/// The method of each skill, by the skill's id: what a class is taught where it is not the usual way.
pub type Methods = BTreeMap<String, MethodId>;

/// Reads the methods of skills.
///
/// # Errors
/// An id that no method has.
pub fn methods<'de, D: Deserializer<'de>>(from: D) -> Result<Methods, D::Error> {
    let named = BTreeMap::<String, String>::deserialize(from)?;
    let known = named.into_iter().map(|(skill, id)| {
        let found = method_named(&id);
        found
            .map(|method| (skill, method))
            .ok_or_else(|| D::Error::custom(format!("there is no method “{id}”")))
    });
    known.collect()
}

/// Reads a slip.
///
/// # Errors
/// An id that no slip has.
pub fn slip<'de, D: Deserializer<'de>>(from: D) -> Result<SlipId, D::Error> {
    let id = String::deserialize(from)?;
    slip_named(&id).ok_or_else(|| D::Error::custom(format!("there is no slip “{id}”")))
}

/// Reads a slip that may be absent.
///
/// # Errors
/// An id that no slip has.
pub fn slip_if_any<'de, D: Deserializer<'de>>(from: D) -> Result<Option<SlipId>, D::Error> {
    let Some(id) = Option::<String>::deserialize(from)? else { return Ok(None) };
    let found = slip_named(&id);
    found.map(Some).ok_or_else(|| D::Error::custom(format!("there is no slip “{id}”")))
}

/// Every id of a method, for the description of the API.
pub struct MethodName;

impl PartialSchema for MethodName {
    fn schema() -> RefOr<Schema> {
        one_of(METHODS.iter().map(|method| method.as_str()))
    }
}

impl ToSchema for MethodName {
    fn name() -> Cow<'static, str> {
        "MethodId".into()
    }
}

/// Every id of a slip, for the description of the API.
pub struct SlipName;

impl PartialSchema for SlipName {
    fn schema() -> RefOr<Schema> {
        one_of(ALL_SLIPS.iter().map(|slip| slip.as_str()))
    }
}

impl ToSchema for SlipName {
    fn name() -> Cow<'static, str> {
        "SlipId".into()
    }
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn ids_are_found_by_their_names_and_no_others_are() {
        for id in METHODS.iter() {
            assert_eq!(method_named(id.as_str()), Some(*id));
        }
        for id in ALL_SLIPS.iter() {
            assert_eq!(slip_named(id.as_str()), Some(*id));
        }
        assert!(METHODS.len() > 90 && ALL_SLIPS.len() > 200);
        assert_eq!(method_named("balanse"), None);
        assert_eq!(slip_named(""), None);
    }

    /// What the solver calls its ways stands on the cards, so that a class can be taught by them.
    #[test]
    fn the_solver_s_ways_are_methods() {
        for way in algebra::solve::Way::ALL {
            assert!(METHODS.contains(&ids::method::of(way)), "{}", way.name());
        }
        for id in [ids::method::ELIMINATION, ids::method::SUBSTITUTION] {
            assert!(METHODS.contains(&id), "{id}");
        }
    }
}
