//! Which texts a name or a title may hold.

/// Whether a text shows what it is: no signs that are not seen, and none that turn the direction of others round.
pub(crate) fn is_visible(text: &str) -> bool {
    let mut before = ' ';
    let is_hidden = |sign: char| {
        // Scripts such as those of Persian and Hindi are written with joiners, and so are some small pictures.
        let joins = matches!(sign, '\u{200c}' | '\u{200d}' | '\u{fe0f}') && !before.is_ascii();
        before = sign;
        is_hidden(sign) && !joins
    };
    !text.trim().is_empty() && !text.chars().any(is_hidden)
}

/// Control signs, signs without width, and signs that set the direction (Unicode, general categories Cc and Cf).
fn is_hidden(sign: char) -> bool {
    sign.is_control()
        || matches!(sign,
            '\u{ad}' | '\u{34f}' | '\u{61c}' | '\u{115f}'..='\u{1160}' | '\u{17b4}'..='\u{17b5}'
            | '\u{180b}'..='\u{180f}' | '\u{200b}'..='\u{200f}' | '\u{2028}'..='\u{202e}'
            | '\u{2060}'..='\u{206f}' | '\u{3164}' | '\u{fe00}'..='\u{fe0f}' | '\u{feff}' | '\u{ffa0}'
            | '\u{fff9}'..='\u{fffb}' | '\u{e0000}'..='\u{e0fff}')
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn names_show_what_they_are() {
        for name in [
            "Ada",
            "José",
            "Łucja",
            "Мира",
            "李",
            "O'Neill",
            "Ada B.",
            "محمد",
            "Zoë 2",
            "🐝",
            "👩\u{200d}🚀",
            "مه\u{200c}سا",
        ] {
            assert!(is_visible(name), "{name}");
        }
        for name in [
            "",
            "  ",
            "\u{200b}",
            "Ada\u{202e}adA",
            "Ada\u{200d}",
            "A\u{0}",
            "\u{3164}",
            "\n",
            "Ada\u{ad}",
        ] {
            assert!(!is_visible(name), "{name:?}");
        }
    }
}
