//! Equations with sines, cosines and tangents: the functions are treated as letters, and brought down to one
//! function that has a value. What relates them (double angles, `sin² + cos² = 1`) is used where the letters alone
//! do not come apart.

use super::kernels::circular_alone;
use super::{Writer, any_of};
use crate::budget::Budget;
use crate::expr::{Expr, ExprKind, Function};
use crate::line::Line;
use crate::normal::{
    Atom, Normaliser, Poly, Quotient, Values, constant, irreducible_factors, simplest,
};
use crate::number::from_int;
use crate::role::Role;
use crate::rule::Law;
use crate::rule::Rule;
use crate::solve::sets::zeros;
use num_traits::One;

/// Most different functions of angles in one equation.
const CALLS: usize = 3;

/// A function of an angle, and the name of the letter that stands for it.
struct Wave {
    function: Function,
    angle: Expr,
    name: String,
}

impl Wave {
    fn shown(&self) -> Expr {
        call(self.function, &self.angle)
    }

    fn atom(&self) -> Atom {
        Atom::symbol(&self.name)
    }
}

fn call(function: Function, angle: &Expr) -> Expr {
    ExprKind::Call { function, arguments: vec![angle.clone()] }.into()
}

impl Writer<'_> {
    /// The lines of an equation in functions of angles; `false` where it is none.
    pub(super) fn in_waves(&mut self, line: &Line) -> bool {
        if let Some((next, rule, role)) = self.reciprocals_gone(line) {
            self.push(next.clone(), rule, role);
            return self.in_waves(&next) || role == Role::Follows;
        }
        let Some(waves) = self.waves(line) else { return false };
        if let ([only], Some((left, right))) = (&waves[..], line.as_equation())
            && *left == only.shown()
            && right.symbols().is_empty()
        {
            // It says what the function is: the angles come next.
            return true;
        }
        let Some(poly) = as_polynomial(line, &waves) else { return false };
        match &waves[..] {
            // A number times one function, or its square: what comes next is said elsewhere.
            [_] if circular_alone(line).is_some() => false,
            [only] => self.one_wave(line, &poly, only),
            _ => self.factors_of_waves(&poly, &waves) || self.related_waves(line, &poly, &waves),
        }
    }

    /// `sec u = 2` as `cos u = 1/2`; secants and their like among others by sines and cosines.
    fn reciprocals_gone(&self, line: &Line) -> Option<(Line, Rule, Role)> {
        let (left, right) = line.as_equation()?;
        let other = |function| match function {
            Function::Sec => Some(Function::Cos),
            Function::Csc => Some(Function::Sin),
            Function::Cot => Some(Function::Tan),
            _ => None,
        };
        if let ExprKind::Call { function, arguments } = &left.kind
            && let (Some(other), [angle]) = (other(*function), &arguments[..])
            && right.symbols().is_empty()
            && simplest(right) != Expr::int(0)
        {
            let next = Line::equation(call(other, angle), best(&Expr::int(1).over(right.clone())));
            return Some((next, Rule::Reciprocals, Role::Follows));
        }
        let has = |side: &Expr| {
            side.any(&mut |part| {
                matches!(&part.kind, ExprKind::Call { function, .. } if other(*function).is_some())
                    && part.symbols().contains(self.letter)
            })
        };
        if !has(left) && !has(right) {
            return None;
        }
        let next = Line::equation(self.normal(line)?.over.to_expr(), Expr::int(0));
        Some((next, Rule::ByLaw(Law::SinesAndCosines), Role::MayAdd))
    }

    /// The functions in it, when the unknown stands nowhere else.
    fn waves(&self, line: &Line) -> Option<Vec<Wave>> {
        let (left, right) = line.as_equation()?;
        let mut waves: Vec<Wave> = Vec::new();
        let mut note = |part: &Expr| {
            if let ExprKind::Call { function, arguments } = &part.kind
                && matches!(function, Function::Sin | Function::Cos | Function::Tan)
                && let [angle] = &arguments[..]
                && angle.symbols().contains(self.letter)
                && !waves.iter().any(|w| w.function == *function && w.angle == *angle)
            {
                let name = format!("#{}", waves.len());
                waves.push(Wave { function: *function, angle: angle.clone(), name });
            }
            false
        };
        left.any(&mut note);
        right.any(&mut note);
        (!waves.is_empty() && waves.len() <= CALLS).then_some(waves)
    }

    /// A polynomial in one function: its values.
    fn one_wave(&mut self, line: &Line, poly: &Poly, wave: &Wave) -> bool {
        let mut budget = Budget::for_verdict();
        let powers = poly.by_powers_of(&wave.atom());
        let Ok(values) = zeros::constant_roots(&powers, &mut budget) else { return false };
        if values.is_empty() {
            return false;
        }
        let shown = wave.shown();
        if powers.len() == 2 {
            let next = is(&shown, &values[0], &mut budget);
            self.push(next, Rule::Isolate(shown), Role::Follows);
            return true;
        }
        if values.len() < 2 && powers.len() > 3 {
            return false;
        }
        let split = any_of(values.iter().map(|value| is(&shown, value, &mut budget)).collect());
        let role = if values.len() > 1 { Role::Splits } else { Role::Follows };
        let product = irreducible_factors(poly, &mut budget)
            .ok()
            .filter(|all| all.iter().map(|(_, n)| n).sum::<u32>() > 1)
            .and_then(|_| crate::solve::product_of_factors(poly, &mut budget))
            .map(|product| product.with(&wave.name, &shown));
        match product {
            Some(product) => {
                let product = Line::equation(product, Expr::int(0));
                if product != *line {
                    self.push(product, Rule::TreatAsOne(shown), Role::Follows);
                }
                self.push(split, Rule::ZeroProduct, role);
            }
            None => self.push(split, Rule::Isolate(shown), role),
        }
        true
    }

    /// A product of polynomials in the functions: each of them may be zero.
    fn factors_of_waves(&mut self, poly: &Poly, waves: &[Wave]) -> bool {
        let mut budget = Budget::for_verdict();
        let Ok(all) = irreducible_factors(poly, &mut budget) else { return false };
        let all: Vec<Poly> = all.into_iter().map(|(factor, _)| factor).collect();
        if all.len() < 2 {
            return false;
        }
        let Some(product) = crate::solve::product_of_factors(poly, &mut budget) else {
            return false;
        };
        let shown = |expr: Expr| waves.iter().fold(expr, |e, w| e.with(&w.name, &w.shown()));
        let each = all.iter().map(|factor| {
            let only = waves.iter().find(|w| factor.mentions(&w.name));
            let powers = only.map(|w| factor.by_powers_of(&w.atom()));
            match (only, powers.as_deref()) {
                (Some(wave), Some([rest, by])) if rest.is_constant() && by.is_constant() => {
                    match Quotient::new(rest.negated(), by.clone()) {
                        Some(value) => is(&wave.shown(), &value, &mut Budget::for_verdict()),
                        None => Line::equation(shown(factor.to_expr()), Expr::int(0)),
                    }
                }
                _ => Line::equation(shown(factor.to_expr()), Expr::int(0)),
            }
        });
        let split = any_of(each.collect());
        self.push(Line::equation(shown(product), Expr::int(0)), Rule::Factorise, Role::Follows);
        self.push(split, Rule::ZeroProduct, Role::Splits);
        true
    }

    /// Functions that are related: one of them goes.
    fn related_waves(&mut self, line: &Line, poly: &Poly, waves: &[Wave]) -> bool {
        if let Some((next, law)) = double_angles_apart(line, waves) {
            self.push(next.clone(), Rule::ByLaw(law), Role::Follows);
            return self.in_waves(&next);
        }
        if waves.iter().any(|w| w.function == Function::Tan) {
            return self.without_quotients(line);
        }
        let find = |function| waves.iter().find(|w| w.function == function);
        let (Some(sine), Some(cosine), 2) = (find(Function::Sin), find(Function::Cos), waves.len())
        else {
            return false;
        };
        if sine.angle != cosine.angle {
            return false;
        }
        let powers = [sine, cosine].map(|w| poly.by_powers_of(&w.atom()));
        let is_even = |parts: &[Poly]| parts.iter().skip(1).step_by(2).all(Poly::is_zero);
        for (gone, kept, parts) in [(cosine, sine, &powers[1]), (sine, cosine, &powers[0])] {
            if is_even(parts)
                && let Some(next) = square_replaced(line, gone, kept)
            {
                self.push(next.clone(), Rule::ByLaw(Law::Pythagoras), Role::Follows);
                return self.in_waves(&next);
            }
        }
        self.one_angle(poly, sine, cosine)
    }

    /// With sines and cosines alone, times what stands below them.
    fn without_quotients(&mut self, line: &Line) -> bool {
        let Some(equation) = self.normal(line) else { return false };
        let next = Line::equation(equation.over.to_expr(), Expr::int(0));
        self.push(next.clone(), Rule::ByLaw(Law::SinesAndCosines), Role::MayAdd);
        self.in_waves(&next)
    }

    /// `a sin u + b cos u = k`, and `k sin u cos u = m`.
    fn one_angle(&mut self, poly: &Poly, sine: &Wave, cosine: &Wave) -> bool {
        let mut budget = Budget::for_verdict();
        let by_sine = poly.by_powers_of(&sine.atom());
        let [rest, s] = &by_sine[..] else { return false };
        let (a, b, k) = match (&rest.by_powers_of(&cosine.atom())[..], s.is_constant()) {
            ([k, b], true) => (s.clone(), b.clone(), k.clone()),
            ([m], false) => {
                // m + c·sin u cos u
                let parts = s.by_powers_of(&cosine.atom());
                let [none, c] = &parts[..] else { return false };
                let Some(value) = Quotient::new(m.scale(&from_int(-2)), c.clone()) else {
                    return false;
                };
                if !none.is_zero() || !value.is_constant() {
                    return false;
                }
                let twice = call(Function::Sin, &Expr::int(2).times(sine.angle.clone()));
                self.push(
                    is(&twice, &value, &mut budget),
                    Rule::ByLaw(Law::DoubleAngle),
                    Role::Follows,
                );
                return true;
            }
            _ => return false,
        };
        if ![&a, &b, &k].iter().all(|part| part.is_constant()) {
            return false;
        }
        // With a positive factor before the sine.
        let turn = constant::poly_sign(&a, &mut budget) == Some(-1);
        let [a, b, k] = [a, b, k].map(|part| if turn { part.negated() } else { part });
        let Some(ratio) = Quotient::new(b.clone(), a.clone()) else { return false };
        if k.is_zero() {
            let tangent = call(Function::Tan, &sine.angle);
            let next = is(&tangent, &ratio.negated(), &mut budget);
            self.push(next, Rule::DivideBoth(cosine.shown()), Role::Follows);
            return true;
        }
        let squares = [&a, &b].map(|part| part.to_expr().to_the(2));
        let [first, second] = squares;
        let size =
            simplest(&ExprKind::Root { index: 2, radicand: Box::new(first.plus(second)) }.into());
        let shift = simplest(&call(Function::Arctan, &ratio.to_expr()));
        let angle = match &shift.kind {
            ExprKind::Negative(back) => sine.angle.clone().minus((**back).clone()),
            _ => sine.angle.clone().plus(shift),
        };
        let wave = call(Function::Sin, &angle);
        let left = if size.as_plain_number().is_some_and(|n| n.is_one()) {
            wave.clone()
        } else {
            size.clone().times(wave.clone())
        };
        let right = simplest(&k.negated().to_expr());
        self.push(Line::equation(left, right.clone()), Rule::ByLaw(Law::OneWave), Role::Follows);
        let value = best(&right.over(size.clone()));
        self.push(Line::equation(wave, value), Rule::DivideBoth(size), Role::Follows);
        true
    }
}

/// `F = value`, the value in its best form.
fn is(shown: &Expr, value: &Quotient, budget: &mut Budget) -> Line {
    let best = value.rationalised(budget).and_then(|value| value.cancelled(budget));
    Line::equation(shown.clone(), best.map_or_else(|_| value.to_expr(), |best| best.to_expr()))
}

/// A constant in its best form, without a root below.
fn best(expr: &Expr) -> Expr {
    let (none, mut budget) = (Values::new(), Budget::for_verdict());
    let value = Normaliser::new(&none, &mut budget).build(expr);
    let value = value.and_then(|value| Ok(value.rationalised(&mut budget)?));
    value.map_or_else(|_| expr.clone(), |value| value.to_expr())
}

/// Left less right as a polynomial in the letters that stand for the functions.
fn as_polynomial(line: &Line, waves: &[Wave]) -> Option<Poly> {
    let (left, right) = line.as_equation()?;
    let hidden = |side: &Expr| {
        side.map(&mut |part| {
            waves
                .iter()
                .find(|wave| part == wave.shown())
                .map_or(part, |wave| Expr::symbol(&wave.name))
        })
    };
    let (none, mut budget) = (Values::new(), Budget::for_verdict());
    let mut forms = Normaliser::new(&none, &mut budget);
    let (left, right) = (forms.build(&hidden(left)).ok()?, forms.build(&hidden(right)).ok()?);
    if !forms.needs.is_empty() {
        return None;
    }
    let poly = left.minus(&right, &mut budget).ok()?.as_poly().filter(|poly| !poly.is_zero())?;
    // With whole coefficients, where these are rational, and without a sign before the product.
    let content = poly.number_content();
    let is_plain = |atom: &&Atom| match atom {
        Atom::Symbol(name) => waves.iter().any(|wave| *wave.name == **name),
        _ => atom.is_constant(),
    };
    poly.atoms().iter().all(is_plain).then(|| poly.scale(&content.recip()))
}

/// `sin 2u` and `cos 2u` by functions of `u`, where these stand in the line too.
fn double_angles_apart(line: &Line, waves: &[Wave]) -> Option<(Line, Law)> {
    let half = |angle: &Expr| match &angle.kind {
        ExprKind::Multiply(two, half) if two.as_plain_number() == Some(from_int(2)) => {
            Some((**half).clone())
        }
        // In degrees an angle is told as a whole: (2x)°.
        ExprKind::Degree(inside) => match &inside.kind {
            ExprKind::Multiply(two, half) if two.as_plain_number() == Some(from_int(2)) => {
                Some(ExprKind::Degree(half.clone()).into())
            }
            _ => None,
        },
        _ => None,
    };
    let has =
        |function, angle: &Expr| waves.iter().any(|w| w.function == function && w.angle == *angle);
    let double = waves.iter().find_map(|w| {
        let half = half(&w.angle)?;
        let is_joined = has(Function::Sin, &half) || has(Function::Cos, &half);
        (is_joined && w.function != Function::Tan).then_some((w, half))
    });
    let (wave, half) = double?;
    let (sine, cosine) = (call(Function::Sin, &half), call(Function::Cos, &half));
    let two = || Expr::int(2);
    let apart = match (wave.function, has(Function::Sin, &half), has(Function::Cos, &half)) {
        (Function::Sin, ..) => two().times(sine).times(cosine),
        (_, true, false) => Expr::int(1).minus(two().times(sine.to_the(2))),
        (_, false, true) => two().times(cosine.to_the(2)).minus(Expr::int(1)),
        _ => cosine.to_the(2).minus(sine.to_the(2)),
    };
    let shown = wave.shown();
    let law = match wave.function {
        Function::Sin => Law::DoubleAngle,
        _ => Law::DoubleAngleOfCosine,
    };
    let next = line.map(&mut |side: &Expr| {
        side.map(&mut |part| if part == shown { apart.clone() } else { part })
    });
    Some((next, law))
}

/// `cos² u` as `1 - sin² u`, or the other way round, where the square is written so.
fn square_replaced(line: &Line, gone: &Wave, kept: &Wave) -> Option<Line> {
    let square = gone.shown().to_the(2);
    let value = Expr::int(1).minus(kept.shown().to_the(2));
    let next = line.map(&mut |side: &Expr| {
        side.map(&mut |part| if part == square { value.clone() } else { part })
    });
    let is_gone =
        next.expressions().into_iter().all(|side| !side.any(&mut |part| *part == gone.shown()));
    is_gone.then_some(next)
}
