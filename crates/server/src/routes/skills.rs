//! The catalogue, for choosing from.

use crate::app::App;
use crate::error::Failure;
use crate::session::SignedIn;
use axum::Json;
use serde::Serialize;
use skills::SKILLS;
use skills::typed::MethodChoice;
use teaching::skill::Strand;
use utoipa::ToSchema;
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

pub(crate) fn router() -> OpenApiRouter<App> {
    OpenApiRouter::new().routes(routes!(skills))
}

/// A skill's card.
#[derive(Serialize, ToSchema)]
struct SkillCard {
    id: String,
    strand: Strand,
    /// The first grade it is for.
    first_grade: u8,
    /// The last grade it is for.
    last_grade: u8,
    title: String,
    objective: String,
    methods: Vec<MethodChoice>,
}

/// Every skill.
#[utoipa::path(get, path = "/api/skills",
    responses((status = 200, body = Vec<SkillCard>), (status = "default", body = Failure)))]
async fn skills(_teacher: SignedIn) -> Json<Vec<SkillCard>> {
    let card = |skill: &&dyn teaching::Skill| {
        let card = skill.card();
        SkillCard {
            id: card.id.into(),
            strand: card.strand,
            first_grade: card.grades.0,
            last_grade: card.grades.1,
            title: card.title.into(),
            objective: card.objective.into(),
            methods: card
                .methods
                .iter()
                .map(|method| MethodChoice { id: method.id, title: method.title.into() })
                .collect(),
        }
    };
    Json(SKILLS.iter().map(card).collect())
}
