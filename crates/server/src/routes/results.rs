//! What the work of a class adds up to, as a table, as a spreadsheet, and as the ladder that comes next.

use crate::app::App;
use crate::error::{ApiError, Failure};
use crate::extract::{Body, Path, Query};
use crate::routes::bench::{BenchMade, made};
use crate::session::{self, SignedIn};
use axum::Json;
use axum::extract::State;
use axum::http::header::{CONTENT_DISPOSITION, CONTENT_TYPE};
use axum::response::{IntoResponse, Response};
use live::taught::AskedWork;
use live::{Next, NextOrder, NothingYet, Row, Share, Sheet, Standing, Who, Work};
use paper::tables::{Cell, Table};
use serde::{Deserialize, Serialize};
use skills::ids::{Methods, method_named, slip_of};
use skills::ladder::SEED_LIMIT;
use std::sync::Arc;
use store::assignment::{self, CameBack};
use store::class::{self, Class, Student};
use store::live::LiveLesson;
use store::{AssignmentId, ClassId, LiveId, StudentId};
use teaching::skill::Stage;
use utoipa::{IntoParams, ToSchema};
use utoipa_axum::router::OpenApiRouter;
use utoipa_axum::routes;

pub(crate) fn router() -> OpenApiRouter<App> {
    OpenApiRouter::new()
        .routes(routes!(results_of_class))
        .routes(routes!(results_csv))
        .routes(routes!(results_xlsx))
        .routes(routes!(next_ladder))
}

/// So many of the latest assignments count: half a school year of two a week.
const MOST_COUNTED: usize = 40;
/// And so many of the latest live lessons.
const MOST_LIVE_COUNTED: usize = 12;
/// How long a next ladder may take, in minutes.
const NEXT_MINUTES: std::ops::RangeInclusive<u16> = 5..=120;

/// What stands in the columns.
#[derive(Clone, Copy, Default, PartialEq, Eq, Deserialize, ToSchema)]
#[serde(rename_all = "snake_case")]
enum By {
    /// The skills of all assignments.
    #[default]
    Skill,
    /// The assignments, one after the other.
    Work,
    /// The rungs of one assignment.
    Rung,
}

/// Which results are meant.
#[derive(Clone, Copy, Deserialize, IntoParams)]
struct Asked {
    /// What stands in the columns.
    #[serde(default)]
    #[param(inline)]
    by: By,
    /// Only this assignment counts; all when absent.
    #[serde(default)]
    assignment: Option<u64>,
}

/// A student, as results name them.
#[derive(Clone, Serialize, ToSchema)]
struct StudentNamed {
    id: StudentId,
    name: String,
}

/// What stands in a column.
#[derive(Clone, Serialize, ToSchema)]
struct Column {
    /// The skill, the assignment, or the number of the rung.
    title: String,
    /// Of a rung: what the student reads.
    #[serde(skip_serializing_if = "Option::is_none")]
    prompt: Option<String>,
    /// Of a rung: its stage.
    #[serde(skip_serializing_if = "Option::is_none")]
    stage: Option<Stage>,
    /// Of an assignment, and of a rung.
    #[serde(skip_serializing_if = "Option::is_none")]
    assignment: Option<AssignmentId>,
}

/// What one student did.
#[derive(Clone, Serialize, ToSchema)]
struct ResultRow {
    student: StudentNamed,
    /// One for each column.
    shares: Vec<Share>,
}

/// Where a slip was seen.
#[derive(Clone, Serialize, ToSchema)]
struct SeenOn {
    /// The assignment; absent for a live lesson.
    #[serde(skip_serializing_if = "Option::is_none")]
    assignment: Option<AssignmentId>,
    /// The live lesson; absent for an assignment.
    #[serde(skip_serializing_if = "Option::is_none")]
    live: Option<LiveId>,
    title: String,
    /// The number of the rung, from 1.
    rung: u16,
}

/// A slip that was seen.
#[derive(Clone, Serialize, ToSchema)]
struct SeenSlip {
    /// What it is, to a teacher.
    says: String,
    students: Vec<StudentNamed>,
    on: Vec<SeenOn>,
}

/// An assignment that results can be asked for.
#[derive(Clone, Serialize, ToSchema)]
struct Counted {
    id: AssignmentId,
    title: String,
    /// When it is due, as Unix time in seconds.
    #[serde(skip_serializing_if = "Option::is_none")]
    due: Option<i64>,
}

/// What the work of a class adds up to.
#[derive(Clone, Serialize, ToSchema)]
struct ResultsView {
    class: String,
    grade: u8,
    columns: Vec<Column>,
    rows: Vec<ResultRow>,
    /// All students together, for each column.
    together: Vec<Share>,
    slips: Vec<SeenSlip>,
    /// The assignments of the class, the first given first.
    works: Vec<Counted>,
    /// Students of the class.
    students: Vec<StudentNamed>,
}

/// All that results are made of.
struct Ground {
    class: Class,
    students: Vec<Student>,
    works: Vec<CameBack>,
    /// The latest live lessons, with the problems that were asked in them.
    lives: Vec<(LiveLesson, AskedWork)>,
    now: i64,
}

/// Something that counts.
#[derive(Clone, Copy)]
enum Basis<'a> {
    Given(&'a CameBack),
    Live(&'a LiveLesson, &'a AskedWork),
}

impl<'a> Basis<'a> {
    fn title(self) -> &'a str {
        match self {
            Self::Given(back) => &back.assignment.title,
            Self::Live(live, _) => &live.title,
        }
    }

    fn assignment(self) -> Option<AssignmentId> {
        match self {
            Self::Given(back) => Some(back.assignment.id),
            Self::Live(..) => None,
        }
    }
}

impl Ground {
    async fn of(app: &App, teacher: SignedIn, id: ClassId) -> Result<Self, ApiError> {
        let class = class::find(&app.db, teacher.0, id).await?;
        let students = class::students(&app.db, teacher.0, id).await?;
        let works = assignment::came_back(&app.db, teacher.0, id, MOST_COUNTED).await?;
        let students = students.into_iter().filter(|student| !student.hidden).collect();
        let mut lives = Vec::new();
        let all = store::live::of_teacher(&app.db, teacher.0, Some(id), None).await?;
        for live in all.into_iter().take(MOST_LIVE_COUNTED) {
            let work = AskedWork::of(&store::live::whole(&app.db, live.id).await?);
            lives.push((live, work));
        }
        lives.retain(|(_, work)| !work.rungs.is_empty());
        lives.reverse();
        Ok(Self { class, students, works, lives, now: session::now() })
    }

    /// The works that count: all, or the one that is asked for.
    fn counted(&self, only: Option<u64>) -> Vec<Basis<'_>> {
        let counts = |work: &&CameBack| only.is_none_or(|only| work.assignment.id.0 == only);
        let lives = self.lives.iter().filter(|_| only.is_none());
        let lives = lives.map(|(live, work)| Basis::Live(live, work));
        self.works.iter().filter(counts).map(Basis::Given).chain(lives).collect()
    }

    fn work<'a>(&'a self, basis: Basis<'a>) -> Work<'a> {
        let back = match basis {
            Basis::Given(back) => back,
            Basis::Live(live, work) => {
                let mut work = work.work(&live.title);
                let is_here = |id: u64| self.students.iter().any(|student| student.id.0 == id);
                work.sheets.retain(|sheet| is_here(sheet.student));
                return work;
            }
        };
        let is_due = back.assignment.rules.due.is_some_and(|due| due < self.now);
        let sheet = |student: &'a Student| {
            let desk = back.desks.iter().find(|(of, ..)| *of == student.id);
            let written = desk.iter().flat_map(|(_, _, written)| written);
            Sheet {
                student: student.id.0,
                written: written.map(|one| (one.rung, &one.judgement)).collect(),
                is_over: is_due || desk.is_some_and(|(_, at, _)| at.handed_in.is_some()),
            }
        };
        let whom = self.students.iter().filter(|student| back.assignment.is_for(student.id));
        Work {
            title: &back.assignment.title,
            rungs: &back.ladder.ladder.rungs,
            plan: back.ladder.plan.as_ref(),
            sheets: whom.map(sheet).collect(),
        }
    }

    fn named(&self, id: u64) -> Option<StudentNamed> {
        let found = self.students.iter().find(|student| student.id.0 == id);
        found.map(|student| StudentNamed { id: student.id, name: student.name.clone() })
    }

    fn view(&self, asked: Asked) -> ResultsView {
        let counted = self.counted(asked.assignment);
        let works: Vec<Work<'_>> = counted.iter().map(|basis| self.work(*basis)).collect();
        let (columns, rows) = self.table(asked.by, &counted, &works);
        let row = |row: &Row| {
            let student = self.named(row.student)?;
            Some(ResultRow { student, shares: row.shares.clone() })
        };
        let together = live::together(&rows, columns.len());
        let on = |&(at, rung): &(usize, u16)| SeenOn {
            assignment: counted[at].assignment(),
            live: match counted[at] {
                Basis::Given(_) => None,
                Basis::Live(live, _) => Some(live.id),
            },
            title: counted[at].title().to_owned(),
            rung,
        };
        let slips = live::slips(&works, |_| true).into_iter().map(|seen| SeenSlip {
            says: slip_of(seen.slip).map_or_else(String::new, |slip| slip.to_teacher().into()),
            students: seen.students.iter().filter_map(|&id| self.named(id)).collect(),
            on: seen.rungs.iter().map(on).collect(),
        });
        let mut rows: Vec<ResultRow> = rows.iter().filter_map(row).collect();
        rows.sort_by(|a, b| a.student.name.cmp(&b.student.name));
        ResultsView {
            class: self.class.title.clone(),
            grade: self.class.grade,
            columns,
            rows,
            together,
            slips: slips.collect(),
            works: self.works.iter().map(counted_work).collect(),
            students: self.students.iter().filter_map(|one| self.named(one.id.0)).collect(),
        }
    }

    fn table(&self, by: By, counted: &[Basis<'_>], works: &[Work<'_>]) -> (Vec<Column>, Vec<Row>) {
        match (by, counted, works) {
            (By::Rung, [basis], [work]) => {
                let column = |(at, rung): (usize, &skills::Rung)| Column {
                    title: (at + 1).to_string(),
                    prompt: Some(rung.prompt.clone()),
                    stage: Some(rung.stage),
                    assignment: basis.assignment(),
                };
                let columns = work.rungs.iter().enumerate().map(column).collect();
                (columns, live::by_rung(work))
            }
            (By::Work, ..) => {
                let column = |basis: &Basis<'_>| Column {
                    title: basis.title().to_owned(),
                    prompt: None,
                    stage: None,
                    assignment: basis.assignment(),
                };
                (counted.iter().map(column).collect(), live::by_work(works))
            }
            _ => {
                let (skills, rows) = live::by_skill(works);
                let column = |id: &String| Column {
                    title: skills::find(id).map_or_else(|| id.clone(), |s| s.card().title.into()),
                    prompt: None,
                    stage: None,
                    assignment: None,
                };
                (skills.iter().map(column).collect(), rows)
            }
        }
    }
}

fn counted_work(back: &CameBack) -> Counted {
    let given = &back.assignment;
    Counted { id: given.id, title: given.title.clone(), due: given.rules.due }
}

async fn view(
    app: &App,
    teacher: SignedIn,
    id: ClassId,
    asked: Asked,
) -> Result<ResultsView, ApiError> {
    let ground = Arc::new(Ground::of(app, teacher, id).await?);
    if asked.assignment.is_some() && ground.counted(asked.assignment).is_empty() {
        return Err(ApiError::not_found("This class has no such assignment."));
    }
    if asked.by == By::Rung && asked.assignment.is_none() {
        return Err(ApiError::bad("Choose the assignment whose rungs you want to see."));
    }
    app.make(teacher, move || ground.view(asked)).await
}

/// What the work of a class adds up to: by skill, by assignment or by rung, with the slips that were seen.
#[utoipa::path(get, path = "/api/classes/{id}/results", params(("id" = u64, Path), Asked),
    responses((status = 200, body = ResultsView), (status = "default", body = Failure)))]
async fn results_of_class(
    State(app): State<App>,
    teacher: SignedIn,
    Path(id): Path<ClassId>,
    Query(asked): Query<Asked>,
) -> Result<Json<ResultsView>, ApiError> {
    Ok(Json(view(&app, teacher, id, asked).await?))
}

impl ResultsView {
    /// How far each student is, and below it the slips: two tables.
    fn tables(&self, by: By) -> [Table; 2] {
        let mut head = vec!["Student".to_owned()];
        for column in &self.columns {
            if by == By::Rung {
                head.push(format!("Rung {}", column.title));
            } else {
                head.extend(
                    ["finished", "tried", "asked"].map(|of| format!("{}: {of}", column.title)),
                );
            }
        }
        let cells = |share: &Share| match (by, share) {
            (By::Rung, Share { standing, .. }) => vec![
                standing
                    .map_or(Cell::Empty, |standing| Cell::Text(standing_name(standing).to_owned())),
            ],
            (_, Share { asked: 0, .. }) => vec![Cell::Empty; 3],
            (_, Share { finished, tried, asked, .. }) => {
                [finished, tried, asked].map(|&count| Cell::Count(count)).to_vec()
            }
        };
        let row = |row: &ResultRow| {
            let name = Cell::Text(row.student.name.clone());
            std::iter::once(name).chain(row.shares.iter().flat_map(cells)).collect()
        };
        let slip = |seen: &SeenSlip| {
            let names: Vec<&str> = seen.students.iter().map(|one| one.name.as_str()).collect();
            let on: Vec<String> =
                seen.on.iter().map(|on| format!("{}, rung {}", on.title, on.rung)).collect();
            let count = Cell::Count(u32::try_from(names.len()).unwrap_or(u32::MAX));
            vec![
                Cell::Text(seen.says.clone()),
                count,
                Cell::Text(names.join(", ")),
                Cell::Text(on.join("; ")),
            ]
        };
        [
            Table { name: self.class.clone(), head, rows: self.rows.iter().map(row).collect() },
            Table {
                name: "Slips".into(),
                head: ["Slip", "Students", "Who", "Where"].map(str::to_owned).to_vec(),
                rows: self.slips.iter().map(slip).collect(),
            },
        ]
    }
}

const fn standing_name(standing: Standing) -> &'static str {
    match standing {
        Standing::Begun => "begun",
        Standing::Breaks => "a line breaks",
        Standing::Answered => "answered",
        Standing::Finished => "finished",
    }
}

fn file(kind: &str, id: ClassId, ending: &str, bytes: Vec<u8>) -> Response {
    let name = format!("attachment; filename=\"results-{id}.{ending}\"");
    let headers = [(CONTENT_TYPE, kind.to_owned()), (CONTENT_DISPOSITION, name)];
    (headers, bytes).into_response()
}

/// The table as text, its values apart by commas.
#[utoipa::path(get, path = "/api/classes/{id}/results.csv", params(("id" = u64, Path), Asked),
    responses((status = 200, content_type = "text/csv", body = Vec<u8>),
              (status = "default", body = Failure)))]
async fn results_csv(
    State(app): State<App>,
    teacher: SignedIn,
    Path(id): Path<ClassId>,
    Query(asked): Query<Asked>,
) -> Result<Response, ApiError> {
    let [table, _] = view(&app, teacher, id, asked).await?.tables(asked.by);
    let bytes = paper::tables::csv(&table).map_err(|error| ApiError::internal(&error))?;
    Ok(file("text/csv; charset=utf-8", id, "csv", bytes))
}

/// The table and the slips as a spreadsheet.
#[utoipa::path(get, path = "/api/classes/{id}/results.xlsx", params(("id" = u64, Path), Asked),
    responses((status = 200, content_type = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet",
               body = Vec<u8>),
              (status = "default", body = Failure)))]
async fn results_xlsx(
    State(app): State<App>,
    teacher: SignedIn,
    Path(id): Path<ClassId>,
    Query(asked): Query<Asked>,
) -> Result<Response, ApiError> {
    let tables = view(&app, teacher, id, asked).await?.tables(asked.by);
    let made = app.make(teacher, move || paper::tables::xlsx(&tables)).await?;
    let bytes = made.map_err(|error| ApiError::internal(&error))?;
    let kind = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet";
    Ok(file(kind, id, "xlsx", bytes))
}

/// What a next ladder is made for.
#[derive(Deserialize, ToSchema)]
struct NextAsked {
    /// The student; the whole class when absent.
    #[serde(default)]
    student: Option<StudentId>,
    /// The time there is, in minutes.
    minutes: u16,
    /// The seed; another one draws other numbers.
    seed: u64,
}

/// The ladder that comes next: not kept yet.
#[derive(Serialize, ToSchema)]
struct NextView {
    title: String,
    /// The minutes that it is likely to take.
    minutes: u16,
    #[serde(flatten)]
    made: BenchMade,
}

/// The methods of a class, as skills know them.
pub(crate) fn methods(of: &class::Methods) -> Methods {
    let known = of.iter().filter_map(|(skill, id)| Some((skill.clone(), method_named(id)?)));
    known.collect()
}

/// The ladder that comes next, from the slips and gaps of a class or of one student; each rung says why it is there.
#[utoipa::path(post, path = "/api/classes/{id}/next", params(("id" = u64, Path)),
    request_body = NextAsked,
    responses((status = 200, body = NextView), (status = "default", body = Failure)))]
async fn next_ladder(
    State(app): State<App>,
    teacher: SignedIn,
    Path(id): Path<ClassId>,
    Body(asked): Body<NextAsked>,
) -> Result<Json<NextView>, ApiError> {
    if !NEXT_MINUTES.contains(&asked.minutes) {
        return Err(ApiError::bad("A ladder takes from 5 to 120 minutes."));
    }
    if asked.seed >= SEED_LIMIT {
        return Err(ApiError::bad("The seed is too large: use a number below 2^53."));
    }
    let ground = Arc::new(Ground::of(&app, teacher, id).await?);
    let whom = |student: &&Student| asked.student.is_none_or(|only| student.id == only);
    let who: Who = ground
        .students
        .iter()
        .filter(whom)
        .map(|student| (student.id.0, student.name.clone()))
        .collect();
    let whose = match asked.student {
        Some(only) => ground
            .named(only.0)
            .map(|named| named.name)
            .ok_or_else(|| ApiError::not_found("This student is not in this class any more."))?,
        None => ground.class.title.clone(),
    };
    let (minutes, seed) = (asked.minutes, asked.seed);
    let methods = methods(&ground.class.methods);
    let order = NextOrder { who, minutes, seed, methods };
    let make = move || {
        let works: Vec<Work<'_>> =
            ground.counted(None).into_iter().map(|basis| ground.work(basis)).collect();
        let next = Next::of(&works, &order).map_err(|why| match why {
            NothingYet::NothingWritten => ApiError::bad(
                "Nothing stands there yet that tells what comes next. Give a ladder first.",
            ),
            NothingYet::Refused(why) => why.into(),
        })?;
        let minutes = next.minutes;
        Ok::<_, ApiError>((minutes, made(next.plan)?))
    };
    let (minutes, made) = app.make(teacher, make).await??;
    Ok(Json(NextView { title: format!("Next for {whose}"), minutes, made }))
}
