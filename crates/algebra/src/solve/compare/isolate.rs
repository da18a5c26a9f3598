//! A formula solved for one of its letters, the others standing for numbers.
//!
//! What is found are candidates: an even root has two signs, and squaring brings others in. Each is put
//! back into the formula by whoever asks.

use crate::budget::Budget;
use crate::normal::{Atom, Kernel, KernelKind, Normaliser, NotNormal, Poly, Quotient, Values};
use crate::number::from_int;
use num_integer::Integer;

/// Deepest chain of inverse functions.
const DEPTH: usize = 6;

/// The values of `letter`, in terms of the other letters, at which `poly` may be zero.
///
/// # Errors
/// [`NotNormal::NotCovered`] when the letter does not come out by the methods here.
pub(crate) fn isolate(
    poly: &Poly,
    letter: &str,
    budget: &mut Budget,
) -> Result<Vec<Quotient>, NotNormal> {
    Search { letter, budget, depth: 0 }.poly(poly)
}

struct Search<'a> {
    letter: &'a str,
    budget: &'a mut Budget,
    depth: usize,
}

type Found = Result<Vec<Quotient>, NotNormal>;

impl Search<'_> {
    fn poly(&mut self, poly: &Poly) -> Found {
        if self.depth >= DEPTH {
            return Err(NotNormal::Spent);
        }
        self.depth += 1;
        let found = self.by_atom(poly);
        self.depth -= 1;
        found
    }

    fn by_atom(&mut self, poly: &Poly) -> Found {
        let content = poly.monomial_content();
        let mut found = Vec::new();
        for (atom, _) in content.iter().filter(|(atom, _)| atom.mentions(self.letter)) {
            found.extend(self.atom_is(atom, &Quotient::default())?);
        }
        let rest = poly.without(&content);
        let moving: Vec<Atom> =
            rest.atoms().into_iter().filter(|a| a.mentions(self.letter)).cloned().collect();
        let only = match &moving[..] {
            [] => return Ok(found),
            [only] => only,
            _ => {
                found.extend(self.product_of_powers(&rest)?);
                return Ok(found);
            }
        };
        for value in self.roots(&rest.by_powers_of(only))? {
            found.extend(self.atom_is(only, &value)?);
        }
        Ok(found)
    }

    /// Where one product of powers with steady bases has a value, as `10^x = y` does, which is `2^x · 5^x = y`: by
    /// logarithms.
    fn product_of_powers(&mut self, poly: &Poly) -> Found {
        let parts = poly.grouped(|atom| atom.mentions(self.letter));
        let mut parts: Vec<_> = parts.into_iter().collect();
        parts.sort_by_key(|(product, _)| !product.is_one());
        let [(one, rest), (product, factor)] = &parts[..] else {
            return Err(NotNormal::NotCovered);
        };
        if !one.is_one() {
            return Err(NotNormal::NotCovered);
        }
        let whole = |poly: &Poly| Quotient::whole(poly.clone());
        let value = self.quotient(&whole(rest).negated(), &whole(factor))?;
        let none = Values::new();
        let mut difference = Normaliser::new(&none, self.budget).ln_of(&value)?.negated();
        for (atom, times) in product.iter() {
            let kernel = atom.as_kernel().filter(|kernel| kernel.kind == KernelKind::Power);
            let Some([base, exponent]) = kernel.map(|kernel| &kernel.arguments[..]) else {
                return Err(NotNormal::NotCovered);
            };
            if base.mentions(self.letter) {
                return Err(NotNormal::NotCovered);
            }
            let logarithm = Normaliser::new(&none, self.budget).ln_of(base)?;
            let term = exponent.times(&logarithm, self.budget)?.scaled(i64::from(*times));
            difference = difference.plus(&term, self.budget)?;
        }
        self.poly(difference.numerator())
    }

    /// The roots of a polynomial whose coefficients, lowest power first, do not have the letter.
    fn roots(&mut self, coefficients: &[Poly]) -> Found {
        let whole = |poly: &Poly| Quotient::whole(poly.clone());
        let none = Values::new();
        match coefficients {
            [b, a] => Ok(vec![self.quotient(&whole(b).negated(), &whole(a))?]),
            [c, middle @ .., a] if middle.iter().all(Poly::is_zero) => {
                let index = u32::try_from(coefficients.len() - 1).map_err(|_| NotNormal::Spent)?;
                let power = self.quotient(&whole(c).negated(), &whole(a))?;
                let root = Normaliser::new(&none, self.budget).root_of(index, &power)?;
                Ok(if index.is_even() { vec![root.clone(), root.negated()] } else { vec![root] })
            }
            [c, b, a] => {
                let (a, b, c) = (whole(a), whole(b), whole(c));
                let four = Quotient::constant(from_int(4));
                let product = a.times(&c, self.budget)?.times(&four, self.budget)?;
                let under = b.times(&b, self.budget)?.minus(&product, self.budget)?;
                let root = Normaliser::new(&none, self.budget).root_of(2, &under)?;
                let below = a.scaled(2);
                let plus = b.negated().plus(&root, self.budget)?;
                let minus = b.negated().minus(&root, self.budget)?;
                Ok(vec![self.quotient(&plus, &below)?, self.quotient(&minus, &below)?])
            }
            _ => Err(NotNormal::NotCovered),
        }
    }

    fn quotient(&mut self, above: &Quotient, below: &Quotient) -> Result<Quotient, NotNormal> {
        let by = below.reciprocal().ok_or(NotNormal::Undefined)?;
        Ok(above.times(&by, self.budget)?.cancelled(self.budget)?)
    }

    fn atom_is(&mut self, atom: &Atom, value: &Quotient) -> Found {
        let Atom::Kernel(kernel) = atom else { return Ok(vec![value.clone()]) };
        let Kernel { kind, arguments, .. } = &**kernel;
        let inside = arguments.first().cloned().ok_or(NotNormal::NotCovered)?;
        let none = Values::new();
        match kind {
            KernelKind::Root(index) => {
                let power = value.power(*index, self.budget)?;
                self.is(&inside, &power)
            }
            KernelKind::Absolute => {
                let mut found = self.is(&inside, value)?;
                found.extend(self.is(&inside, &value.negated())?);
                Ok(found)
            }
            KernelKind::Power if !inside.mentions(self.letter) => {
                let above = Normaliser::new(&none, self.budget).ln_of(value)?;
                let below = Normaliser::new(&none, self.budget).ln_of(&inside)?;
                let target = self.quotient(&above, &below)?;
                let exponent = arguments.get(1).cloned().ok_or(NotNormal::NotCovered)?;
                self.is(&exponent, &target)
            }
            KernelKind::Ln => {
                let size = Normaliser::new(&none, self.budget).e_to(value)?;
                let mut found = self.is(&inside, &size)?;
                found.extend(self.is(&inside, &size.negated())?);
                Ok(found)
            }
            _ => Err(NotNormal::NotCovered),
        }
    }

    fn is(&mut self, inside: &Quotient, value: &Quotient) -> Found {
        let difference = inside.minus(value, self.budget)?;
        self.poly(difference.numerator())
    }
}
