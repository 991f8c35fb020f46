package bucina.core.measure;

import java.math.BigDecimal;

/**
 * A length, a diameter, a thickness or a coordinate. Finite, of either sign; see the package text for exactness.
 *
 * <p>Comparing two lengths with {@link #atLeast} and {@link #atMost} is inclusive: values closer than a hundredth of
 * a nanometre are the
 * same, so that a limit worked out as 2/3 of .063 in accepts .042 in.
 *
 * @param nanometres the length in nanometres, finite
 */
public record Length(double nanometres) implements Comparable<Length> {

    /** No length at all. */
    public static final Length ZERO = new Length(0);

    /**
     * Two lengths nearer than this (in nm) are one length: far under any tool mark, far over the rounding of doubles.
     */
    private static final double SAME = 0.01;

    /** Refuses what is not a finite number. */
    public Length {
        if (!Double.isFinite(nanometres)) {
            throw new InputException("a length must be a finite number of nanometres, was " + nanometres);
        }
        nanometres = nanometres + 0.0;
    }

    /** A length in inches. Decimals such as .063 come out exact, as they would from {@link #of(BigDecimal, Unit)}. */
    public static Length in(double inches) {
        return of(inches, Unit.INCH);
    }

    /** A length in millimetres, exact for decimals as {@link #in}. */
    public static Length mm(double millimetres) {
        return of(millimetres, Unit.MM);
    }

    /** A length from a double that stands for the decimal number it prints as. */
    public static Length of(double value, Unit unit) {
        if (!Double.isFinite(value)) {
            throw new InputException("a length must be finite, was " + value + " " + unit.symbol());
        }
        return of(BigDecimal.valueOf(value), unit);
    }

    /** A length from an exact decimal. */
    public static Length of(BigDecimal value, Unit unit) {
        return new Length(value.multiply(BigDecimal.valueOf(unit.nanometres())).doubleValue());
    }

    /** A fraction of an inch, exact to 1/64: {@code fraction(3, 32)}. */
    public static Length fraction(long numerator, long denominator) {
        return new Length(numerator * Unit.INCH.nanometres() / denominator);
    }

    /** A length already in nanometres. */
    public static Length nm(double nanometres) {
        return new Length(nanometres);
    }

    /** This length in inches, unrounded. */
    public double in() {
        return to(Unit.INCH);
    }

    /** This length in millimetres, unrounded. */
    public double mm() {
        return to(Unit.MM);
    }

    /** This length in the given unit, unrounded. */
    public double to(Unit unit) {
        return nanometres / unit.nanometres();
    }

    public Length plus(Length other) {
        return new Length(nanometres + other.nanometres);
    }

    public Length minus(Length other) {
        return new Length(nanometres - other.nanometres);
    }

    public Length times(double factor) {
        return new Length(nanometres * factor);
    }

    /** How many times {@code other} goes into this. */
    public double per(Length other) {
        return nanometres / other.nanometres;
    }

    public Length abs() {
        return new Length(Math.abs(nanometres));
    }

    /** The smaller of the two. */
    public Length min(Length other) {
        return nanometres <= other.nanometres ? this : other;
    }

    /** The larger of the two. */
    public Length max(Length other) {
        return nanometres >= other.nanometres ? this : other;
    }

    /** True if this is {@code limit} or more; the limit itself passes. */
    public boolean atLeast(Length limit) {
        return nanometres >= limit.nanometres - SAME;
    }

    /** True if this is {@code limit} or less; the limit itself passes. */
    public boolean atMost(Length limit) {
        return nanometres <= limit.nanometres + SAME;
    }

    /** True if the two cannot be told apart (nearer than .01 nm). */
    public boolean same(Length other) {
        return Math.abs(nanometres - other.nanometres) <= SAME;
    }

    /** True for a length over nothing. */
    public boolean positive() {
        return nanometres > 0;
    }

    @Override
    public int compareTo(Length other) {
        return Double.compare(nanometres, other.nanometres);
    }

    @Override
    public String toString() {
        return LengthFormat.exact(this, Unit.INCH);
    }
}
