//! From which address a request comes.

use crate::app::App;
use axum::extract::{ConnectInfo, FromRequestParts};
use axum::http::request::Parts;
use std::convert::Infallible;
use std::fmt;
use std::net::{IpAddr, Ipv4Addr, SocketAddr};

/// The address that a request comes from; behind a proxy, the one that the proxy names.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub(crate) struct Address(pub IpAddr);

impl fmt::Display for Address {
    fn fmt(&self, f: &mut fmt::Formatter<'_>) -> fmt::Result {
        match self.0 {
            // Whoever has one address of the new kind has all that share its first half.
            IpAddr::V6(address) => {
                let [a, b, c, d, ..] = address.segments();
                write!(f, "{a:x}:{b:x}:{c:x}:{d:x}")
            }
            IpAddr::V4(address) => address.fmt(f),
        }
    }
}

impl FromRequestParts<App> for Address {
    type Rejection = Infallible;

    async fn from_request_parts(parts: &mut Parts, app: &App) -> Result<Self, Infallible> {
        let peer = parts.extensions.get::<ConnectInfo<SocketAddr>>().map(|info| info.0.ip());
        let named = || {
            // The proxy puts the address that it saw at the end.
            let header = parts.headers.get_all("x-forwarded-for").iter().next_back()?;
            header.to_str().ok()?.rsplit(',').next()?.trim().parse().ok()
        };
        let named = if app.site.behind_proxy { named() } else { None };
        Ok(Self(named.or(peer).unwrap_or(IpAddr::V4(Ipv4Addr::UNSPECIFIED))))
    }
}
