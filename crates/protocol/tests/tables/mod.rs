//! Every table, with its name. Each row was looked at by a person.

mod apart;
mod by_slope;
mod circular;
mod circular_equations;
mod counted;
mod equations;
mod identities;
mod inequalities;
mod invented_equations;
mod invented_expressions;
mod invented_mistakes;
mod invented_mixture;
mod inverse_functions;
mod polynomials_and_quotients;
mod powers_and_logarithms;
mod quantities;
mod readings;
mod rearranged_formulas;
mod roots;
mod sizes;
mod solution_sets;
mod spellings;
mod systems_and_letters;
mod traps;
mod two_equations;
mod whole_exponents;

/// The name of each table and its rows.
pub const TABLES: &[(&str, &[&str])] = &[
    ("apart", apart::ROWS),
    ("by_slope", by_slope::ROWS),
    ("circular", circular::ROWS),
    ("circular_equations", circular_equations::ROWS),
    ("counted", counted::ROWS),
    ("equations", equations::ROWS),
    ("identities", identities::ROWS),
    ("inequalities", inequalities::ROWS),
    ("invented_equations", invented_equations::ROWS),
    ("invented_expressions", invented_expressions::ROWS),
    ("invented_mistakes", invented_mistakes::ROWS),
    ("invented_mixture", invented_mixture::ROWS),
    ("inverse_functions", inverse_functions::ROWS),
    ("polynomials_and_quotients", polynomials_and_quotients::ROWS),
    ("powers_and_logarithms", powers_and_logarithms::ROWS),
    ("quantities", quantities::ROWS),
    ("readings", readings::ROWS),
    ("rearranged_formulas", rearranged_formulas::ROWS),
    ("roots", roots::ROWS),
    ("sizes", sizes::ROWS),
    ("solution_sets", solution_sets::ROWS),
    ("spellings", spellings::ROWS),
    ("systems_and_letters", systems_and_letters::ROWS),
    ("traps", traps::ROWS),
    ("two_equations", two_equations::ROWS),
    ("whole_exponents", whole_exponents::ROWS),
];
