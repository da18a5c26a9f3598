//! Measure and geometry.

pub mod angles_circle;
pub mod area_composite;
pub mod area_triangle;
pub mod circle_area;
pub mod circle_circumference;
pub mod measure_choose;
pub mod measure_convert;
pub mod measure_read_ruler;
pub mod pythagoras;
pub mod trig_angle;
pub mod trig_bearings;
pub mod trig_side;
pub mod trig_solid;
