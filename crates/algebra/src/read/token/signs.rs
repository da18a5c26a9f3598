//! Signs that stand for one token each.

use super::TokenKind;
use crate::line::Relation;

/// Fraction signs, with what stands above and below their line.
pub(super) const VULGAR: &[(char, u32, u32)] = &[
    ('½', 1, 2),
    ('⅓', 1, 3),
    ('⅔', 2, 3),
    ('¼', 1, 4),
    ('¾', 3, 4),
    ('⅕', 1, 5),
    ('⅖', 2, 5),
    ('⅗', 3, 5),
    ('⅘', 4, 5),
    ('⅙', 1, 6),
    ('⅚', 5, 6),
    ('⅛', 1, 8),
    ('⅜', 3, 8),
    ('⅝', 5, 8),
    ('⅞', 7, 8),
    ('⅐', 1, 7),
    ('⅑', 1, 9),
    ('⅒', 1, 10),
];

/// What several signs side by side stand for, and how many bytes they take.
pub(super) fn of_several(text: &str) -> Option<(TokenKind, usize)> {
    use TokenKind as T;
    if !text.starts_with(['<', '>', '!', '~', '+', '=', '-', ':', '.', '*']) {
        return None;
    }
    let (sign, kind) = [
        ("<=>", T::So),
        ("<=", T::Relation(Relation::LessOrEqual)),
        (">=", T::Relation(Relation::GreaterOrEqual)),
        ("!=", T::Relation(Relation::NotEqual)),
        ("~=", T::Relation(Relation::Approximate)),
        ("+-", T::PlusMinus),
        ("+/-", T::PlusMinus),
        ("=>", T::So),
        ("->", T::Arrow),
        ("=<", T::Relation(Relation::LessOrEqual)),
        ("::", T::Relation(Relation::Equal)),
        ("...", T::Dots),
        ("**", T::Power),
    ]
    .into_iter()
    .find(|(sign, _)| text.starts_with(sign))?;
    Some((kind, sign.len()))
}

/// What one sign stands for wherever it stands.
pub(super) fn of_one(sign: char) -> Option<TokenKind> {
    use TokenKind as T;
    Some(match sign {
        '+' | '＋' => T::Plus,
        '-' | '－' | '−' | '–' | '—' | '‐' | '‑' => T::Minus,
        '±' => T::PlusMinus,
        '∓' => T::MinusPlus,
        '*' | '✕' | '✖' | '＊' | '×' | '·' | '⋅' | '∙' | '•' => T::Times,
        '/' | '÷' | '∕' | '⁄' => T::Over,
        '^' => T::Power,
        '_' => T::Underscore,
        '%' => T::Percent,
        '!' => T::Bang,
        '|' => T::Bar,
        ',' => T::Comma,
        ';' => T::Semicolon,
        ':' | '∶' => T::Colon,
        '°' => T::Degree,
        '√' => T::Root(2),
        '∛' => T::Root(3),
        '∜' => T::Root(4),
        '（' => T::Open('('),
        '）' => T::Close(')'),
        '(' | '[' | '{' => T::Open(sign),
        ')' | ']' | '}' => T::Close(sign),
        '=' | '＝' => T::Relation(Relation::Equal),
        '<' | '＜' => T::Relation(Relation::Less),
        '>' | '＞' => T::Relation(Relation::Greater),
        '≤' | '⩽' | '≦' => T::Relation(Relation::LessOrEqual),
        '≥' | '⩾' | '≧' => T::Relation(Relation::GreaterOrEqual),
        '≠' => T::Relation(Relation::NotEqual),
        '≈' | '≃' | '≅' | '≐' | '~' => T::Relation(Relation::Approximate),
        '∷' => T::Relation(Relation::Equal),
        '∴' | '⇒' | '⟹' | '⇔' | '⟺' => T::So,
        '→' | '⟶' | '➔' => T::Arrow,
        '…' => T::Dots,
        '∘' => T::After,
        '⌋' | '⌉' => T::Close(')'),
        '&' => T::Word("and".into()),
        '∨' => T::Word("or".into()),
        '∧' => T::Word("and".into()),
        '∈' => T::In,
        '∞' => T::Infinity,
        '∪' => T::Union,
        '∅' => T::Word("none".into()),
        '.' => T::Stop,
        _ => return None,
    })
}
