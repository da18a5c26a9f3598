//! How the types of `algebra` are stored and sent: by the names they have had from the beginning.
//!
//! `algebra` knows nothing of files. Each module here is for `#[serde(with = "…")]`.

use std::borrow::Cow;
use utoipa::openapi::schema::{ObjectBuilder, Type};
use utoipa::openapi::{RefOr, Schema};
use utoipa::{PartialSchema, ToSchema};

/// A text that is one of these names.
pub fn one_of<'a>(names: impl IntoIterator<Item = &'a str>) -> RefOr<Schema> {
    let names: Vec<String> = names.into_iter().map(str::to_owned).collect();
    ObjectBuilder::new().schema_type(Type::String).enum_values(Some(names)).into()
}

/// The names of roles, for the description of the API.
pub struct RoleName;

impl PartialSchema for RoleName {
    fn schema() -> RefOr<Schema> {
        one_of(algebra::Role::ALL.map(algebra::Role::name))
    }
}

impl ToSchema for RoleName {
    fn name() -> Cow<'static, str> {
        "Role".into()
    }
}

/// The names of forms, for the description of the API: some say how many places, for which letter, in which unit.
pub struct FormName;

impl PartialSchema for FormName {
    fn schema() -> RefOr<Schema> {
        let counted = "(decimal|significant):[0-9]+|solved_for:.+|unit:.+";
        let plain = algebra::form::Form::PLAIN.map(|form| form.name()).join("|");
        ObjectBuilder::new()
            .schema_type(Type::String)
            .pattern(Some(format!("^({plain}|{counted})$")))
            .into()
    }
}

impl ToSchema for FormName {
    fn name() -> Cow<'static, str> {
        "Form".into()
    }
}

/// A role.
pub mod role {
    use algebra::Role;
    use serde::de::{Deserialize, Deserializer, Error};
    use serde::ser::Serializer;

    /// Writes its name.
    pub fn serialize<S: Serializer>(role: &Role, to: S) -> Result<S::Ok, S::Error> {
        to.serialize_str(role.name())
    }

    /// Reads its name.
    pub fn deserialize<'de, D: Deserializer<'de>>(from: D) -> Result<Role, D::Error> {
        let name = String::deserialize(from)?;
        Role::named(&name).ok_or_else(|| D::Error::custom(format!("there is no role “{name}”")))
    }
}

/// A role that may be unknown, which is written as an empty name.
pub mod role_if_known {
    use algebra::Role;
    use serde::de::{Deserialize, Deserializer, Error};
    use serde::ser::Serializer;

    /// Writes its name.
    pub fn serialize<S: Serializer>(role: &Option<Role>, to: S) -> Result<S::Ok, S::Error> {
        to.serialize_str(role.map_or("", Role::name))
    }

    /// Reads its name.
    pub fn deserialize<'de, D: Deserializer<'de>>(from: D) -> Result<Option<Role>, D::Error> {
        let name = String::deserialize(from)?;
        if name.is_empty() {
            return Ok(None);
        }
        let role = Role::named(&name);
        role.map(Some).ok_or_else(|| D::Error::custom(format!("there is no role “{name}”")))
    }
}

/// A form.
pub mod form {
    use algebra::form::Form;
    use serde::de::{Deserialize, Deserializer, Error};
    use serde::ser::Serializer;

    /// Writes its name.
    pub fn serialize<S: Serializer>(form: &Form, to: S) -> Result<S::Ok, S::Error> {
        to.serialize_str(&form.name())
    }

    /// Reads its name.
    pub fn deserialize<'de, D: Deserializer<'de>>(from: D) -> Result<Form, D::Error> {
        let name = String::deserialize(from)?;
        Form::named(&name).ok_or_else(|| D::Error::custom(format!("there is no form “{name}”")))
    }
}

/// LaTeX, or none for words, which is written as an empty text.
pub mod latex {
    use serde::de::{Deserialize, Deserializer};
    use serde::ser::Serializer;

    /// Writes it.
    pub fn serialize<S: Serializer>(latex: &Option<String>, to: S) -> Result<S::Ok, S::Error> {
        to.serialize_str(latex.as_deref().unwrap_or_default())
    }

    /// Reads it.
    pub fn deserialize<'de, D: Deserializer<'de>>(from: D) -> Result<Option<String>, D::Error> {
        Ok(Some(String::deserialize(from)?).filter(|latex| !latex.is_empty()))
    }
}
