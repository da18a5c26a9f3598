//! A database of its own for one test, on the server that `./test` started.

use sqlx::Connection;
use store::{Db, StoreError, connect, link};

/// Where `./test` says its MariaDB is: a URL without a database name.
pub const SERVER: &str = "HONEY_LADDER_TEST_SERVER";

/// An empty database with all tables; it goes with the server, which lives for one run of `./test`.
pub struct Scratch {
    /// The connection pool.
    pub db: Db,
    /// The address of this database.
    pub url: String,
}

/// Makes an empty database.
///
/// # Errors
/// The server does not answer.
///
/// # Panics
/// When there is no test server: run `./test`, which starts one.
pub async fn scratch() -> Result<Scratch, StoreError> {
    let server = std::env::var(SERVER).expect("no test database: run ./test, which starts one");
    let name = format!("hl_{}", link());
    let mut connection = sqlx::MySqlConnection::connect(&server).await?;
    let sql = sqlx::AssertSqlSafe(format!("CREATE DATABASE {name}"));
    sqlx::query(sql).execute(&mut connection).await?;
    connection.close().await?;
    let url = format!("{}/{name}", server.trim_end_matches('/'));
    Ok(Scratch { db: connect(&url).await?, url })
}
