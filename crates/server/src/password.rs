//! Passwords, by Argon2id.

use argon2::Argon2;
use argon2::password_hash::phc::PasswordHash;
use argon2::password_hash::{PasswordHasher, PasswordVerifier};

/// Shortest password, in characters.
pub const SHORTEST: usize = 10;
/// Fewer guesses than ten to this power: a password that is tried early.
const GUESSES_LOG10: f64 = 8.0;

/// What is wrong with a new password, in a sentence; nothing where it will do. What it is made of is free: it is its
/// length that counts, and that it is none of those that are tried first.
#[must_use]
pub fn weakness(password: &str, about: &[&str]) -> Option<&'static str> {
    if password.chars().count() < SHORTEST {
        return Some("Take at least 10 characters: four plain words make a good password.");
    }
    if password.len() > LONGEST {
        return Some("Take at most 200 characters.");
    }
    let looked_at: String = password.chars().take(64).collect();
    let guesses = zxcvbn::zxcvbn(&looked_at, about).guesses_log10();
    (guesses < GUESSES_LOG10)
        .then_some("This password is one of those that are tried first. Take another one.")
}

/// Longest password that is looked at, in bytes.
pub const LONGEST: usize = 200;

/// The hash of a password, in PHC form. Takes a noticeable moment, as it should.
///
/// # Errors
/// The system gives no random bytes.
pub fn hash(password: &str) -> Result<String, argon2::password_hash::Error> {
    Ok(Argon2::default().hash_password(password.as_bytes())?.to_string())
}

/// Whether `password` has that hash. As slow when it has not.
#[must_use]
pub fn is_right(password: &str, hash: &str) -> bool {
    password.len() <= LONGEST
        && PasswordHash::new(hash)
            .is_ok_and(|hash| Argon2::default().verify_password(password.as_bytes(), &hash).is_ok())
}

#[cfg(test)]
mod tests {
    use super::*;

    #[test]
    fn a_password_is_long_and_none_that_is_tried_first() {
        for bad in
            ["", "short", "password12", "1234567890", "qwertyuiop", "aaaaaaaaaaaa", "Orla Fenwick"]
        {
            assert!(weakness(bad, &["Orla Fenwick", "orla"]).is_some(), "{bad}");
        }
        for good in
            ["clover-and-heather", "four plain words here", "ναι και όχι και ναι", "9f-Kq.2!xW_p"]
        {
            assert_eq!(weakness(good, &["Orla Fenwick", "orla"]), None, "{good}");
        }
        assert!(weakness(&"long words ".repeat(50), &[]).is_some());
    }

    #[test]
    fn only_the_right_password_is_right() {
        let kept = hash("clover honey").expect("hashed");
        assert!(is_right("clover honey", &kept));
        assert!(!is_right("Clover honey", &kept) && !is_right("", &kept));
        assert!(!is_right("clover honey", "not a hash"));
        assert_ne!(kept, hash("clover honey").expect("hashed"), "salted");
    }
}
