//! Passwords, by Argon2id.

use argon2::Argon2;
use argon2::password_hash::phc::PasswordHash;
use argon2::password_hash::{PasswordHasher, PasswordVerifier};

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
    fn only_the_right_password_is_right() {
        let kept = hash("clover honey").expect("hashed");
        assert!(is_right("clover honey", &kept));
        assert!(!is_right("Clover honey", &kept) && !is_right("", &kept));
        assert!(!is_right("clover honey", "not a hash"));
        assert_ne!(kept, hash("clover honey").expect("hashed"), "salted");
    }
}
