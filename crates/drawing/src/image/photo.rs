//! PNG and JPEG without what else stands in the file: where and when a photo was taken, with what, and by whom.
//!
//! Segments of a JPEG are as in ITU-T T.81, annex B; its orientation as in Exif 2.3, tag 0x0112; chunks of a PNG as in the
//! PNG specification, third edition, section 5.

/// Chunks of a PNG that say something about its file, not about its pixels.
const TOLD: [&[u8; 4]; 5] = [b"tEXt", b"zTXt", b"iTXt", b"eXIf", b"tIME"];

/// Takes so many bytes off the front.
fn take<'a>(rest: &mut &'a [u8], count: usize) -> Option<&'a [u8]> {
    let (front, back) = rest.split_at_checked(count)?;
    *rest = back;
    Some(front)
}

/// A PNG with its pixels alone, up to its end; none for one that is cut off.
pub(super) fn bare_png(bytes: &[u8]) -> Option<Vec<u8>> {
    let mut rest = bytes;
    let mut bare = take(&mut rest, 8)?.to_vec();
    loop {
        let length = u32::from_be_bytes(rest.get(..4)?.try_into().ok()?);
        let kind: &[u8; 4] = rest.get(4..8)?.try_into().ok()?;
        let chunk = take(&mut rest, usize::try_from(length).ok()?.checked_add(12)?)?;
        if !TOLD.contains(&kind) {
            bare.extend_from_slice(chunk);
        }
        if kind == b"IEND" {
            return Some(bare);
        }
    }
}

/// A JPEG with its picture alone, and how it is to be turned; none for one that is cut off.
pub(super) fn bare_jpeg(bytes: &[u8]) -> Option<Vec<u8>> {
    let mut rest = bytes;
    let mut bare = take(&mut rest, 2)?.to_vec();
    let mut turned = None;
    loop {
        let &[0xff, marker] = take(&mut rest, 2)? else { return None };
        let length = usize::from(u16::from_be_bytes(rest.get(..2)?.try_into().ok()?));
        let segment = take(&mut rest, length.max(2))?;
        match marker {
            // The picture itself: its end is the first sign of an end, since none stands in it.
            0xda => {
                bare.extend_from_slice(&turn(turned));
                bare.extend_from_slice(&[0xff, marker]);
                bare.extend_from_slice(segment);
                let end = rest.windows(2).position(|pair| pair == [0xff, 0xd9])?;
                bare.extend_from_slice(&rest[..end + 2]);
                return Some(bare);
            }
            0xe1 => turned = turned.or_else(|| orientation(segment.get(2..)?)),
            // How its colours are meant is kept; everything else that programs put there, and remarks, are not.
            0xe0 | 0xe2 | 0xee | ..=0xdf | 0xf0..=0xfd => {
                bare.extend_from_slice(&[0xff, marker]);
                bare.extend_from_slice(segment);
            }
            _ => {}
        }
    }
}

/// How a photo is to be turned, from 1 to 8, as its segment of data says.
fn orientation(data: &[u8]) -> Option<u8> {
    let tiff = data.strip_prefix(b"Exif\0\0")?;
    let is_big = tiff.starts_with(b"MM");
    let short = |at: usize| -> Option<u16> {
        let pair: [u8; 2] = tiff.get(at..at.checked_add(2)?)?.try_into().ok()?;
        Some(if is_big { u16::from_be_bytes(pair) } else { u16::from_le_bytes(pair) })
    };
    let first = if is_big { short(6)? } else { short(4)? };
    let first = usize::from(first);
    (0..usize::from(short(first)?))
        .map(|entry| first + 2 + 12 * entry)
        .find(|&entry| short(entry) == Some(0x0112))
        .and_then(|entry| u8::try_from(short(entry + 8)?).ok())
        .filter(|turned| (2..=8).contains(turned))
}

/// A segment that says how a photo is to be turned, and nothing else.
fn turn(turned: Option<u8>) -> Vec<u8> {
    let Some(turned) = turned else { return Vec::new() };
    let mut segment =
        b"\xff\xe1\0\x22Exif\0\0MM\0*\0\0\0\x08\0\x01\x01\x12\0\x03\0\0\0\x01\0".to_vec();
    segment.extend_from_slice(&[turned, 0, 0, 0, 0, 0, 0]);
    segment
}

#[cfg(test)]
mod tests {
    use super::*;

    fn chunk(kind: &[u8; 4], data: &[u8]) -> Vec<u8> {
        let length = u32::try_from(data.len()).expect("short").to_be_bytes();
        [&length[..], kind, data, &[0; 4]].concat()
    }

    fn segment(marker: u8, data: &[u8]) -> Vec<u8> {
        let length = u16::try_from(data.len() + 2).expect("short").to_be_bytes();
        [&[0xff, marker][..], &length, data].concat()
    }

    #[test]
    fn a_png_keeps_its_pixels_alone() {
        let signature = b"\x89PNG\r\n\x1a\n".to_vec();
        let parts = [
            signature.clone(),
            chunk(b"IHDR", &[1; 13]),
            chunk(b"tEXt", b"Author\0Somebody"),
            chunk(b"eXIf", b"somewhere"),
            chunk(b"IDAT", b"pixels"),
            chunk(b"IEND", b""),
            b"a tail".to_vec(),
        ];
        let bare = bare_png(&parts.concat()).expect("whole");
        let kept =
            [&parts[0], &parts[1], &parts[4], &parts[5]].map(|part| part.as_slice()).concat();
        assert_eq!(bare, kept);
        assert_eq!(bare_png(&bare), Some(bare.clone()));
        for cut in 0..bare.len() {
            assert_eq!(bare_png(&bare[..cut]), None, "{cut}");
        }
    }

    /// A photo, held upright by a camera that lay on its side, with a place in its data.
    fn photo(turned: Option<(u16, bool)>) -> Vec<u8> {
        let mut data = b"Exif\0\0".to_vec();
        if let Some((turned, is_big)) = turned {
            let short = |n: u16| if is_big { n.to_be_bytes() } else { n.to_le_bytes() };
            let long = |n: u32| if is_big { n.to_be_bytes() } else { n.to_le_bytes() };
            data.extend_from_slice(if is_big { b"MM" } else { b"II" });
            data.extend_from_slice(&[&short(42)[..], &long(8), &short(2)].concat());
            for (tag, value) in [(0x0100, 640), (0x0112, turned)] {
                data.extend_from_slice(
                    &[&short(tag)[..], &short(3), &long(1), &short(value), &[0; 2]].concat(),
                );
            }
        }
        data.extend_from_slice(b"GPS 47.3 N 8.5 E");
        [
            b"\xff\xd8".to_vec(),
            segment(0xe0, b"JFIF\0"),
            segment(0xe1, &data),
            segment(0xed, b"by Somebody"),
            segment(0xfe, b"a remark"),
            segment(0xdb, b"tables"),
            segment(0xda, b"scan"),
            b"\x12\xff\x00\x34\xff\xd9".to_vec(),
            b"one more photo".to_vec(),
        ]
        .concat()
    }

    #[test]
    fn a_jpeg_keeps_its_picture_and_how_it_is_turned() {
        for turned in [None, Some((6, true)), Some((8, false)), Some((1, true)), Some((99, false))]
        {
            let bare = bare_jpeg(&photo(turned)).expect("whole");
            let text = String::from_utf8_lossy(&bare).into_owned();
            for told in ["GPS", "Somebody", "remark", "one more"] {
                assert!(!text.contains(told), "{told}");
            }
            assert!(
                text.contains("JFIF") && text.contains("tables") && bare.ends_with(&[0xff, 0xd9])
            );
            let found = bare.windows(6).position(|at| at == b"Exif\0\0");
            let found = found.and_then(|at| orientation(&bare[at..]));
            let expected = turned.map(|(n, _)| n).filter(|n| (2..=8).contains(n));
            assert_eq!(found.map(u16::from), expected);
            assert_eq!(bare_jpeg(&bare), Some(bare.clone()), "once is enough");
        }
        let whole = photo(Some((6, true)));
        for cut in 0..whole.len() - 14 {
            assert_eq!(bare_jpeg(&whole[..cut]), None, "{cut}");
        }
    }
}
