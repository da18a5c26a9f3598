//! Inverse trigonometric functions, whose identities hold on one interval only.

#[rustfmt::skip]
pub const ROWS: &[&str] = &[
    r"arctan x + arctan(1/x) -> pi/2 ; assume x>0 => equivalent",
    r"arctan x + arctan(1/x) -> -pi/2 ; assume x<0 => equivalent",
    r"arctan x + arctan(1/x) -> pi/2 => not equivalent; x = -1: -π/2 against π/2",
    r"2arctan(x) -> arctan(2x/(1-x^2)) ; assume -1<x<1 => equivalent",
    r"arccos x -> arctan(sqrt(1-x^2)/x) ; assume x>0 => equivalent where 0 < x ≤ 1",
    r"arcsin x -> arctan(x/sqrt(1-x^2)) => equivalent where -1 < x < 1",
    r"arccot x -> arctan(1/x) ; assume x>0 => equivalent",
    r"arccot x -> arctan(1/x) => not equivalent; x = -1: 3π/4 against -π/4",
    r"2arcsin x -> arcsin(2x sqrt(1-x^2)) ; assume 0<=x<=0.7 => equivalent",
    r"2arcsin x -> arcsin(2x sqrt(1-x^2)) => not equivalent; x = 1: π against 0",
    r"2arccos x -> arccos(2x^2-1) ; assume x>=0 => equivalent where 0 ≤ x ≤ 1",
    r"arctan((1+x)/(1-x)) -> pi/4 + arctan x ; assume x<1 => equivalent",
    r"arcsin(2x/(1+x^2)) -> 2arctan x ; assume -1<=x<=1 => equivalent",
    r"arccos((1-x^2)/(1+x^2)) -> 2 arctan x ; assume x>=0 => equivalent",
    r"arcsec x -> arccos(1/x) => equivalent where x ≤ -1 or x ≥ 1",
    r"3arcsin x -> arcsin(3x-4x^3) ; assume -1/2<=x<=1/2 => equivalent",
    r"arctan x + arctan y -> arctan((x+y)/(1-xy)) ; assume 0<x<1 & 0<y<1 => undecided",
];
