//! Migrations are compiled in; a changed one must be compiled again.

fn main() {
    println!("cargo:rerun-if-changed=migrations");
}
