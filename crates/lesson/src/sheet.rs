//! The sheet that a department asks for: what stands on a plan beside its topic, its phases and its slides.

use super::{BadLesson, LONGEST_TEXT, fits};
use serde::{Deserialize, Serialize};
use teaching::ids::MethodId;
use utoipa::ToSchema;

/// Most entries of a list on the sheet.
pub const MOST_ENTRIES: usize = 20;
/// Longest entry, in characters.
const LONGEST_ENTRY: usize = 300;

/// What the class brings along.
#[derive(Debug, Clone, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
pub struct Prior {
    /// In words.
    pub text: String,
    /// The id of the skill that it names, where it is one of the catalogue.
    #[serde(default, skip_serializing_if = "Option::is_none")]
    pub skill: Option<String>,
}

/// The sheet of a plan. Everything may be empty.
#[derive(Debug, Clone, Default, PartialEq, Eq, Serialize, Deserialize, ToSchema)]
#[serde(default)]
pub struct Sheet {
    /// Which class.
    pub class: String,
    /// Which section of it.
    pub section: String,
    /// The subject; mathematics where nothing is said.
    pub subject: String,
    /// The day, as `2026-11-26`.
    pub date: String,
    /// Which period of the day.
    pub period: String,
    /// Which week.
    pub week: String,
    /// The id of the skill that is taught, where it is one of the catalogue.
    #[serde(skip_serializing_if = "Option::is_none")]
    pub skill: Option<String>,
    /// The method that this class is taught, where the skill has more than one.
    #[serde(
        default,
        skip_serializing_if = "Option::is_none",
        deserialize_with = "skills::ids::method_if_any"
    )]
    #[schema(value_type = Option<skills::ids::MethodName>)]
    pub method: Option<MethodId>,
    /// What the class brings along.
    pub prior: Vec<Prior>,
    /// What shows that the objectives are reached.
    pub criteria: Vec<String>,
    /// What has to be at hand.
    pub resources: Vec<String>,
    /// What is done at home.
    pub homework: String,
}

impl Sheet {
    pub(super) fn check(&self) -> Result<(), BadLesson> {
        let short = [&self.class, &self.section, &self.subject, &self.period, &self.week];
        if !short.into_iter().all(|text| fits(text, 80)) {
            return Err(BadLesson::because(
                "Keep class, section, subject, period and week to 80 characters each.",
            ));
        }
        if !self.date.is_empty() && !is_date(&self.date) {
            return Err(BadLesson::because(
                "Write the date as year-month-day, such as 2026-11-26.",
            ));
        }
        let prior = self.prior.iter().map(|prior| &prior.text);
        let lists = [self.criteria.len(), self.resources.len(), self.prior.len()];
        let all = self.criteria.iter().chain(&self.resources).chain(prior);
        if lists.into_iter().any(|count| count > MOST_ENTRIES)
            || !all.into_iter().all(|text| fits(text, LONGEST_ENTRY))
        {
            return Err(BadLesson::because(
                "Keep each list of the plan to 20 entries of at most 300 characters.",
            ));
        }
        if !fits(&self.homework, LONGEST_TEXT) {
            return Err(BadLesson::because("The homework is too long. Shorten it."));
        }
        let named = self.prior.iter().filter_map(|prior| prior.skill.as_ref()).chain(&self.skill);
        if named.into_iter().any(|id| skills::find(id).is_none()) {
            return Err(BadLesson::because("The plan names a skill that is not in the catalogue."));
        }
        Ok(())
    }
}

/// Whether a text is a day of the calendar, as `2026-11-26`.
fn is_date(text: &str) -> bool {
    let mut parts = text.split('-').map(|part| (part.len(), part.parse::<u32>().ok()));
    let (Some((4, Some(year))), Some((2, Some(month))), Some((2, Some(day))), None) =
        (parts.next(), parts.next(), parts.next(), parts.next())
    else {
        return false;
    };
    let is_leap = year.is_multiple_of(4) && (!year.is_multiple_of(100) || year.is_multiple_of(400));
    let days = match month {
        4 | 6 | 9 | 11 => 30,
        2 if is_leap => 29,
        2 => 28,
        1..=12 => 31,
        _ => 0,
    };
    (1..=days).contains(&day)
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn a_date_is_a_day_of_the_calendar() {
        for day in ["2026-11-26", "2024-02-29", "2000-02-29"] {
            assert!(is_date(day), "{day}");
        }
        for day in ["2026-02-29", "1900-02-29", "2026-13-01", "26-11-2026", "2026-11-31", "today"] {
            assert!(!is_date(day), "{day}");
        }
    }

    #[test]
    fn what_cannot_be_kept_says_why() {
        let sheet = Sheet::default();
        assert_eq!(sheet.check(), Ok(()));
        let long = Sheet { class: "x".repeat(81), ..sheet.clone() };
        assert!(long.check().is_err());
        let many = Sheet { resources: vec!["ruler".into(); 21], ..sheet.clone() };
        assert!(many.check().is_err());
        let unknown = Sheet { skill: Some("juggling".into()), ..sheet.clone() };
        assert!(unknown.check().is_err());
        let prior = Prior { text: "counting".into(), skill: Some("number.of-the-day".into()) };
        assert_eq!(Sheet { prior: vec![prior], ..sheet }.check(), Ok(()));
    }
}
