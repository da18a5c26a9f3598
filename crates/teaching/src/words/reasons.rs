//! Why a line follows from the one above, as a teacher says it.

use super::math;
use algebra::Expr;
use algebra::solve::{Law, Rule};

/// Where the sign can change, and what to do about it.
fn signs_between(zeros: &[Expr], gaps: &[Expr]) -> String {
    let list = |all: &[Expr]| {
        let all: Vec<String> = all.iter().map(math).collect();
        match &all[..] {
            [first @ .., last] if !first.is_empty() => format!("{} and {last}", first.join(", ")),
            _ => all.concat(),
        }
    };
    let places = match (zeros.is_empty(), gaps.is_empty()) {
        (false, false) => {
            format!("It is zero at {}, and not defined at {}", list(zeros), list(gaps))
        }
        (false, true) => format!("It is zero at {}", list(zeros)),
        (true, _) => format!("It is not defined at {}", list(gaps)),
    };
    format!("{places}: look at the sign on each side")
}

/// The reason, as a short phrase.
#[must_use]
pub fn reason(rule: &Rule) -> String {
    match rule {
        Rule::Given => "The problem".into(),
        Rule::WriteAsFractions => "Write both ratios as fractions".into(),
        Rule::Expand => "Multiply out the brackets".into(),
        Rule::Collect => "Collect like terms".into(),
        Rule::SplitPower => "Write the power as a product, and multiply out the first of it".into(),
        Rule::FirstTwoBrackets => "Multiply two of the brackets first".into(),
        Rule::EachByEach => "Multiply each term by each term of the other bracket".into(),
        Rule::SquareOfSum => "The square of a sum: $(a ± b)^2 = a^2 ± 2ab + b^2$".into(),
        Rule::OverOneDenominator => "Put them over the one denominator".into(),
        Rule::ValuesOfFunctions => "Put in the values that are known exactly".into(),
        Rule::RisingPower => "The larger power has the larger exponent".into(),
        Rule::FallingPower => {
            "The base is less than $1$: the larger power has the smaller exponent".into()
        }
        Rule::SquareBothPositive => "Square both sides: neither is negative".into(),
        Rule::NeverNegative => "The left side is never negative".into(),
        Rule::Contradict => {
            "The same left side would have two different values: no point fits both".into()
        }
        Rule::CloseIn => "No short exact value: close in on it".into(),
        Rule::OpenBars => "Open the bars: between their zeros, each inside has one sign".into(),
        Rule::Angles => "Write down every angle with that value".into(),
        Rule::SignNeverChanges => {
            "It is never zero, so its sign is the same everywhere: try $0$".into()
        }
        Rule::SignsBetween { zeros, gaps } => signs_between(zeros, gaps),
        Rule::ClearFractions(by) => {
            format!("Multiply both sides by {}, the common denominator", math(by))
        }
        Rule::AddToBoth(what) => format!("Add {} to both sides", math(what)),
        Rule::SubtractFromBoth(what) => format!("Subtract {} from both sides", math(what)),
        Rule::AddToEach(what) => format!("Add {} to every part", math(what)),
        Rule::SubtractFromEach(what) => format!("Subtract {} from every part", math(what)),
        Rule::DivideEach(by) => format!("Divide every part by {}", math(by)),
        Rule::MultiplyBoth(by) => format!("Multiply both sides by {}", math(by)),
        Rule::DivideBoth(by) => format!("Divide both sides by {}", math(by)),
        Rule::CrossMultiply => "Cross-multiply: the two diagonal products are equal".into(),
        Rule::Evaluate => "Work it out".into(),
        Rule::Reciprocals => "Take the reciprocal of both sides".into(),
        Rule::GatherLetter(letter) => {
            format!("Get every term with {} on one side, and the rest on the other", math(letter))
        }
        Rule::TakeOut(letter) => format!("Take {} out as a common factor", math(letter)),
        Rule::TurnRound => "Write it from the smaller end to the larger".into(),
        Rule::SwapSides => "Write the unknown on the left".into(),
        Rule::ScaleFactor => "Find the scale factor from the pair that is known".into(),
        Rule::ScalePartner(by) => format!("Scale its partner by the same factor, {}", math(by)),
        Rule::UnitRate => "Find how much goes with one".into(),
        Rule::NeverTrue => "This is never true, whatever the unknown is".into(),
        Rule::AlwaysTrue => "This is always true, whatever the unknown is".into(),
        Rule::MoveToOneSide => "Take everything to one side".into(),
        Rule::Factorise => "Factorise".into(),
        Rule::FactoriseAgain => "Factorise again".into(),
        Rule::FactorPair { pair: [p, q], product, sum } => format!(
            "{} and {} multiply to {} and add to {}",
            math(p),
            math(q),
            math(product),
            math(sum)
        ),
        Rule::DoesNotSplit => "No factors with rational numbers were found".into(),
        Rule::TakeOutOfPairs => "Take out of each pair of terms what it shares".into(),
        Rule::WriteAsSquares => "Both terms are squares".into(),
        Rule::DifferenceOfSquares => {
            "A difference of two squares: $a^2 - b^2 = (a - b)(a + b)$".into()
        }
        Rule::WriteAsCubes => "Both terms are cubes".into(),
        Rule::SumOfCubes => "A sum of two cubes: $a^3 + b^3 = (a + b)(a^2 - ab + b^2)$".into(),
        Rule::DifferenceOfCubes => {
            "A difference of two cubes: $a^3 - b^3 = (a - b)(a^2 + ab + b^2)$".into()
        }
        Rule::PerfectSquare => "A perfect square: $a^2 ± 2ab + b^2 = (a ± b)^2$".into(),
        Rule::ZeroAt(letter, at, factor) => format!(
            "${} = {}$ makes it zero, so {} is a factor",
            algebra::write::latex(letter),
            algebra::write::latex(at),
            math(factor)
        ),
        Rule::ZeroProduct => "A product is zero when one of its factors is zero".into(),
        Rule::SolveEach => "Solve each one".into(),
        Rule::Formula => "Put the coefficients into the quadratic formula".into(),
        Rule::CompleteSquare => "Complete the square".into(),
        Rule::RootBoth(2) => "Take the square root of both sides, with both signs".into(),
        Rule::RootBoth(3) => "Take the cube root of both sides".into(),
        Rule::RootBoth(n) => format!("Take the root of index {n} of both sides"),
        Rule::RaiseBoth(2) => "Square both sides".into(),
        Rule::RaiseBoth(3) => "Cube both sides".into(),
        Rule::RaiseBoth(n) => format!("Raise both sides to the power {n}"),
        Rule::SplitAbsolute => "What stands between the bars has either sign".into(),
        Rule::ZeroSize => "Only zero has the size zero".into(),
        Rule::NearerThan(end) => {
            format!("Nearer to zero than {}: between it and its opposite", math(end))
        }
        Rule::FurtherThan(end) => {
            format!("Further from zero than {}: on either side", math(end))
        }
        Rule::ZeroPower => "A power is zero only where its base is zero".into(),
        Rule::SquareNotNegative => "An even power is never negative".into(),
        Rule::SameBase(base) => format!("Write both sides as powers of {}", math(base)),
        Rule::EqualExponents => "Equal powers of one base have equal exponents".into(),
        Rule::TreatAsOne(part) => format!("Treat {} as one letter, and factorise", math(part)),
        Rule::BothSigns => "Take the sign once as plus and once as minus".into(),
        Rule::TakeLogarithms => "Take logarithms of both sides".into(),
        Rule::UndoLogarithm => "Write the logarithm as a power".into(),
        Rule::Isolate(part) => format!("Get {} alone on one side", math(part)),
        Rule::Reject => "Leave out what does not fit the problem".into(),
        Rule::FindSolutions => "Find the solutions".into(),
        Rule::Round => "As a decimal".into(),
        Rule::CombineLogarithms => "Put the logarithms together, and write them as a power".into(),
        Rule::NegativeDiscriminant(value) => {
            format!("The discriminant is {}, which has no real square root", math(value))
        }
        Rule::LettersLeft => "Write the equations with the letters on the left".into(),
        Rule::ScaleEquations => {
            "Multiply the equations, so that one letter has equal or opposite factors".into()
        }
        Rule::AddEquations => "Add the two equations: one letter goes".into(),
        Rule::SubtractEquations => {
            "Subtract the second equation from the first: one letter goes".into()
        }
        Rule::DivideFirst(by) => format!("Divide the first equation by {}", math(by)),
        Rule::SolveFor(letter) => format!("Solve for {}", math(letter)),
        Rule::ReplaceLetter(letter, value) => {
            format!("Put {} for {}", math(value), math(letter))
        }
        Rule::Reorder => "Begin with the equation that is easiest to use".into(),
        Rule::Eliminate(letter) => {
            format!("Use one equation to make {} go from the equations below it", math(letter))
        }
        Rule::PutIn(letter) => format!("Put the value of {} in", math(letter)),
        Rule::PutBoth(a, b) => format!("Put the values of {} and {} in", math(a), math(b)),
        Rule::SaySame => {
            "The equations say the same: every point of this line is a solution".into()
        }
        Rule::PutBack => "Put each value into the other equation".into(),
        Rule::AllFit => "Every value fits the problem".into(),
        Rule::CommonDenominator => "Bring the fractions to a common denominator".into(),
        Rule::MultiplyFractions => "Multiply what stands above, and what stands below".into(),
        Rule::TakeSquareOut => "Look for a square number under the root".into(),
        Rule::MultiplyAboveAndBelow(by) => {
            format!("Multiply above and below by {}: the root below goes", math(by))
        }
        Rule::Conjugate => {
            "Multiply above and below by the same sum with the other sign: the root below goes"
                .into()
        }
        Rule::TermByTerm => "Differentiate term by term".into(),
        Rule::ProductRule => "The product rule: $(uv)' = u'v + uv'$".into(),
        Rule::QuotientRule => {
            "The quotient rule: $\\left(\\frac{u}{v}\\right)' = \\frac{u'v - uv'}{v^2}$".into()
        }
        Rule::ChainRule => {
            "The chain rule: the outer derivative, times the derivative of the inside".into()
        }
        Rule::SameUnits => "Write all in one unit".into(),
        Rule::AddLikeUnits => "Add each unit by itself".into(),
        Rule::CarryUnits => "Sixty minutes are an hour, sixty seconds a minute: carry them".into(),
        Rule::Cancel => "Cancel what stands both above and below".into(),
        Rule::BracketsFirst => "Brackets and powers come first".into(),
        Rule::ProductsFirst => "Multiply and divide before adding and subtracting".into(),
        Rule::TurnSign => "Divide by a negative number: the sign turns".into(),
        Rule::ByLaw(law) => by_law(*law).into(),
        Rule::IsProduct => "There is nothing to split: it is a product as it stands".into(),
        Rule::IsSimplest => "It is in its simplest form as it stands".into(),
        Rule::BeyondOne => "No sine or cosine lies beyond $-1$ and $1$".into(),
        Rule::EqualFactorials => "Equal factorials above 1 belong to equal numbers".into(),
        Rule::SharedDivisor => "The largest number that divides them all".into(),
        Rule::SharedMultiple => "The smallest number that they all divide".into(),
        Rule::Simplify => "Write it in its simplest form".into(),
        Rule::Substitute => "Check: put the value into the problem".into(),
    }
}

fn by_law(law: Law) -> &'static str {
    match law {
        Law::DivideByFraction => "Dividing by a fraction is multiplying by its reciprocal",
        Law::MultiplyFractions => "Multiply what stands above, and what stands below",
        Law::OneFraction => "Write the sum as one fraction",
        Law::PowerOfProduct => "Raise each factor to the power: $(ab)^n = a^n b^n$",
        Law::PowerOfPower => "A power of a power: multiply the exponents",
        Law::AddExponents => "Powers of one base: add the exponents",
        Law::NegativeExponent => "A negative exponent: $a^{-n} = \\frac{1}{a^n}$",
        Law::RootOfSquare => "The root of a power of the same index: $\\sqrt{a^2} = |a|$",
        Law::Pythagoras => "$\\sin^2 a + \\cos^2 a = 1$",
        Law::SinesAndCosines => "Write everything with sines and cosines",
        Law::DoubleAngle => "The double angle: $\\sin 2a = 2 \\sin a \\cos a$",
        Law::DoubleAngleOfCosine => {
            "The double angle: $\\cos 2a = 2 \\cos^2 a - 1 = 1 - 2 \\sin^2 a = \\cos^2 a - \\sin^2 a$"
        }
        Law::SumOfLogarithms => "$\\log a + \\log b = \\log ab$",
        Law::DifferenceOfLogarithms => "$\\log a - \\log b = \\log \\frac{a}{b}$",
        Law::PowerIntoLogarithm => "$n \\log a = \\log a^n$",
        Law::LogarithmOfPower => "$\\log a^n = n \\log a$",
        Law::Factorial => "A factorial is the product of the whole numbers up to it",
        Law::FactorialQuotient => "Cancel the smaller factorial",
        Law::Arrangements => "The number of arrangements: ${}^nP_k = \\frac{n!}{(n-k)!}$",
        Law::Choices => "The number of choices: $\\binom{n}{k} = \\frac{n!}{k!(n-k)!}$",
        Law::PerCent => "Per cent means out of a hundred",
        Law::PlaceValues => "Each digit times the value of its place",
        Law::Improper => "Write the mixed numbers as fractions",
        Law::RootThenPower => "The denominator of the exponent is the index of a root",
        Law::Undo => "A power and the logarithm of the same base undo each other",
        Law::CoFunction => "The sine of an angle is the cosine of what it lacks to a right angle",
        Law::OneWave => {
            "One wave: $a \\sin u + b \\cos u = \\sqrt{a^2 + b^2} \\, \\sin(u + φ)$ with $\\tan φ = \\frac{b}{a}$"
        }
        Law::SharedFactor => "Divide every term by what they share",
        Law::Recurring => {
            "The digits to the end of the first period, less those before it, over nines and zeros"
        }
    }
}
