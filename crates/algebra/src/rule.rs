//! Why one line of a working follows from the line above: data, which `teaching` puts into words.

use crate::expr::Expr;
use crate::line::Line;
use crate::role::Role;

/// Why a line follows from the one above. `teaching` puts it into words.
#[derive(Debug, Clone, PartialEq, Eq)]
pub enum Rule {
    /// The problem.
    Given,
    /// The other way of writing a ratio.
    WriteAsFractions,
    /// Multiplied out brackets.
    Expand,
    /// Put like terms together.
    Collect,
    /// Wrote a power as a product of two.
    SplitPower,
    /// Multiplied the first two of several brackets.
    FirstTwoBrackets,
    /// Multiplied every term of one bracket by every term of the other.
    EachByEach,
    /// `(a + b)²` is `a² + 2ab + b²`.
    SquareOfSum,
    /// Wrote fractions with one denominator as one fraction.
    OverOneDenominator,
    /// Put exact values for functions of numbers.
    ValuesOfFunctions,
    /// A power with a base over 1 grows with its exponent.
    RisingPower,
    /// A power with a base below 1 falls as its exponent grows.
    FallingPower,
    /// Squared both sides of an inequality, neither of them negative.
    SquareBothPositive,
    /// A root, a power or an absolute value is never negative.
    NeverNegative,
    /// The equations of a system have the same left side and different right sides.
    Contradict,
    /// Closed in on a solution that has no short exact form.
    CloseIn,
    /// Opened absolute values, part by part of the line.
    OpenBars,
    /// Wrote down the angles whose sine, cosine or tangent that is.
    Angles,
    /// It is never zero, so that its sign is the same everywhere.
    SignNeverChanges,
    /// Tested the signs between the places where it is zero and where it is not defined.
    SignsBetween {
        /// Where it is zero.
        zeros: Vec<Expr>,
        /// Where it is not defined.
        gaps: Vec<Expr>,
    },
    /// Multiplied both sides by the common denominator.
    ClearFractions(Expr),
    /// Added to both sides.
    AddToBoth(Expr),
    /// Subtracted from both sides.
    SubtractFromBoth(Expr),
    /// Added to every part of a chain.
    AddToEach(Expr),
    /// Subtracted from every part of a chain.
    SubtractFromEach(Expr),
    /// Divided every part of a chain.
    DivideEach(Expr),
    /// Multiplied both sides.
    MultiplyBoth(Expr),
    /// Divided both sides.
    DivideBoth(Expr),
    /// Multiplied each numerator by the other denominator.
    CrossMultiply,
    /// Worked out the numbers.
    Evaluate,
    /// Differentiated a sum term by term.
    TermByTerm,
    /// `(uv)' = u'v + uv'`
    ProductRule,
    /// `(u/v)' = (u'v - uv')/v²`
    QuotientRule,
    /// The outer derivative at the inside, times the derivative of the inside.
    ChainRule,
    /// Wrote all quantities in one unit.
    SameUnits,
    /// Added hours to hours, and minutes to minutes.
    AddLikeUnits,
    /// Wrote sixty minutes as an hour, sixty seconds as a minute.
    CarryUnits,
    /// Wrote the reciprocal of both sides.
    Reciprocals,
    /// Got every term with a letter on one side, and all else on the other.
    GatherLetter(Expr),
    /// Took a letter out as a common factor.
    TakeOut(Expr),
    /// Wrote a chain from the smaller end to the larger.
    TurnRound,
    /// Wrote the sides the other way round.
    SwapSides,
    /// Found by how much the known pair is scaled.
    ScaleFactor,
    /// Scaled the partner of the unknown by the same factor.
    ScalePartner(Expr),
    /// Found how much goes with one.
    UnitRate,
    /// What is left is never true.
    NeverTrue,
    /// What is left is always true.
    AlwaysTrue,
    /// Put the value into the problem.
    Substitute,
    /// Took everything to one side.
    MoveToOneSide,
    /// Wrote a sum as a product.
    Factorise,
    /// A factor splits once more.
    FactoriseAgain,
    /// Two numbers with the product and the sum that are looked for.
    FactorPair {
        /// The numbers.
        pair: [Expr; 2],
        /// What they multiply to.
        product: Expr,
        /// What they add to.
        sum: Expr,
    },
    /// No factors with rational numbers were found.
    DoesNotSplit,
    /// Took out of each pair of terms what it shares.
    TakeOutOfPairs,
    /// Wrote two terms as squares.
    WriteAsSquares,
    /// `a² - b²` is `(a - b)(a + b)`.
    DifferenceOfSquares,
    /// Wrote two terms as cubes.
    WriteAsCubes,
    /// `a³ + b³` is `(a + b)(a² - ab + b²)`.
    SumOfCubes,
    /// `a³ - b³` is `(a - b)(a² + ab + b²)`.
    DifferenceOfCubes,
    /// Saw the square of a sum.
    PerfectSquare,
    /// A letter, a value that makes the polynomial zero, and the factor that goes with it.
    ZeroAt(Expr, Expr, Expr),
    /// A product is zero when one of its factors is.
    ZeroProduct,
    /// Solved each of the cases.
    SolveEach,
    /// The quadratic formula.
    Formula,
    /// Made one side a perfect square.
    CompleteSquare,
    /// Took the root of that index of both sides.
    RootBoth(u32),
    /// Raised both sides to that power.
    RaiseBoth(u32),
    /// The inside of an absolute value has either sign.
    SplitAbsolute,
    /// The inside of an absolute value that is zero is zero.
    ZeroSize,
    /// What is nearer to zero than a number lies between it and its opposite.
    NearerThan(Expr),
    /// What is further from zero than a number lies beyond it, or beyond its opposite.
    FurtherThan(Expr),
    /// A power is zero only where its base is.
    ZeroPower,
    /// A square is never negative.
    SquareNotNegative,
    /// Wrote a number as a power of the base on the other side.
    SameBase(Expr),
    /// Equal powers of one base have equal exponents.
    EqualExponents,
    /// Saw a polynomial in a power or a root.
    TreatAsOne(Expr),
    /// Took a sign once as plus and once as minus.
    BothSigns,
    /// Took logarithms.
    TakeLogarithms,
    /// Wrote a logarithm as a power.
    UndoLogarithm,
    /// Got a part with the unknown alone.
    Isolate(Expr),
    /// Left out what does not fit the problem.
    Reject,
    /// The solutions.
    FindSolutions,
    /// Rounded the exact value.
    Round,
    /// Wrote it in its simplest form.
    Simplify,
    /// Put sums of logarithms together and wrote them as a power.
    CombineLogarithms,
    /// The discriminant is negative.
    NegativeDiscriminant(Expr),
    /// Wrote every equation with its letters on the left.
    LettersLeft,
    /// Multiplied the equations of a system until one letter has equal or opposite factors.
    ScaleEquations,
    /// Added one equation of a system to the other.
    AddEquations,
    /// Subtracted one equation of a system from the other.
    SubtractEquations,
    /// Divided the first equation of a system.
    DivideFirst(Expr),
    /// Solved one equation of a system for a letter.
    SolveFor(Expr),
    /// Put a value for a letter.
    ReplaceLetter(Expr, Expr),
    /// Wrote the equations of a system in another order.
    Reorder,
    /// Took multiples of one equation of a system from the others, so that a letter goes.
    Eliminate(Expr),
    /// Put the value found for a letter in, and solved.
    PutIn(Expr),
    /// Put the values found for two letters in, and solved.
    PutBoth(Expr, Expr),
    /// The equations of a system say the same.
    SaySame,
    /// Put each solution into the other equation.
    PutBack,
    /// Every solution found fits the problem.
    AllFit,
    /// Brought fractions to a common denominator.
    CommonDenominator,
    /// Multiplied two fractions above and below.
    MultiplyFractions,
    /// Wrote the number under a root as a product with a square.
    TakeSquareOut,
    /// Multiplied above and below by a root.
    MultiplyAboveAndBelow(Expr),
    /// Multiplied above and below by the other sum of roots.
    Conjugate,
    /// Took out what stands both above and below.
    Cancel,
    /// Did what is in brackets, or a power, first.
    BracketsFirst,
    /// Multiplied and divided before adding.
    ProductsFirst,
    /// Divided by a negative number, so that the sign turns.
    TurnSign,
    /// Rewrote a part by a law that has a name.
    ByLaw(Law),
    /// The expression is a product, or one factor, as it stands.
    IsProduct,
    /// The expression cannot be written in a simpler way.
    IsSimplest,
    /// A sine or cosine is never larger than one in size.
    BeyondOne,
    /// Equal factorials above one are those of equal numbers.
    EqualFactorials,
    /// The largest number that divides all.
    SharedDivisor,
    /// The smallest number that all divide.
    SharedMultiple,
}

/// A line of a solution, with the reason it follows and what it is for.
#[derive(Debug, Clone, PartialEq, Eq)]
pub struct Step {
    /// What is written.
    pub line: Line,
    /// Why it follows.
    pub rule: Rule,
    /// What it is for.
    pub role: Role,
}

/// Why there is no solution by this method.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub enum Unsolved {
    /// The line is of another kind.
    NotThisKind,
    /// The method does not fit this line, though another may.
    NotThisMethod,
    /// A limit was reached.
    Spent,
}

/// A law of expressions.
#[derive(Debug, Clone, Copy, PartialEq, Eq)]
pub enum Law {
    /// `a/b ÷ c/d = a/b × d/c`
    DivideByFraction,
    /// `a/b × c/d = ac/bd`
    MultiplyFractions,
    /// A sum of fractions inside another is written as one fraction.
    OneFraction,
    /// `(ab)ⁿ = aⁿbⁿ`
    PowerOfProduct,
    /// `(aᵐ)ⁿ = aᵐⁿ`
    PowerOfPower,
    /// `aᵐaⁿ = aᵐ⁺ⁿ`
    AddExponents,
    /// `a⁻ⁿ = 1/aⁿ`
    NegativeExponent,
    /// `√(a²) = |a|`
    RootOfSquare,
    /// `sin² a + cos² a = 1`
    Pythagoras,
    /// The tangent and its like are quotients of sines and cosines.
    SinesAndCosines,
    /// `sin 2a = 2 sin a cos a`
    DoubleAngle,
    /// `cos 2a = 2 cos² a - 1 = 1 - 2 sin² a`
    DoubleAngleOfCosine,
    /// `log a + log b = log ab`
    SumOfLogarithms,
    /// `log a - log b = log(a/b)`
    DifferenceOfLogarithms,
    /// `log aⁿ = n log a`
    LogarithmOfPower,
    /// `n log a = log aⁿ`
    PowerIntoLogarithm,
    /// A factorial is the product of the whole numbers up to it.
    Factorial,
    /// `n!/k!` leaves the numbers between.
    FactorialQuotient,
    /// `C(n, k) = n!/(k!(n - k)!)`
    Choices,
    /// The number of arrangements, by factorials.
    Arrangements,
    /// Per cent: of a hundred.
    PerCent,
    /// The digits of a numeral, each times its place.
    PlaceValues,
    /// A mixed number as one fraction.
    Improper,
    /// `a^(m/n)` is the `n`-th root of `a`, to the power `m`.
    RootThenPower,
    /// A power of a base and the logarithm to that base undo each other.
    Undo,
    /// `cos(π/2 - a) = sin a`
    CoFunction,
    /// `a sin u + b cos u` is one sine that is shifted.
    OneWave,
    /// The terms of a ratio, divided by what they share.
    SharedFactor,
    /// A recurring decimal: its digits, less those before the repeat, over nines and zeros.
    Recurring,
}
