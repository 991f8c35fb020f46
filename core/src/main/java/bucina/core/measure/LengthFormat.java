package bucina.core.measure;

import java.math.BigDecimal;
import java.math.RoundingMode;

/** Prints lengths the way the bench writes them: {@code .063 in}, {@code 1 5/16 in}, {@code 2.4 mm}. */
public final class LengthFormat {

    private LengthFormat() {}

    /**
     * A figure with its unit, rounded half up: inches to {@code .0001}-places given, without the nought before the
     * point as the trade
     * writes them, millimetres with it.
     *
     * @param decimals places behind the point in inches, 0 to 6; millimetres get one fewer, as 0.01 mm matches .001 in
     */
    public static String decimal(Length length, Unit unit, int decimals) {
        return figure(length, unit, decimals) + " " + unit.symbol();
    }

    /** What a gauge read, without its unit: to .0001 in or 0.01 mm. */
    public static String reading(Length length, Unit unit) {
        return figure(length, unit, unit == Unit.INCH ? 4 : 3);
    }

    /** As {@link #decimal}, without the unit: for columns and axes that name it once. */
    public static String figure(Length length, Unit unit, int decimals) {
        int places = unit == Unit.MM ? Math.max(0, decimals - 1) : decimals;
        BigDecimal rounded = BigDecimal.valueOf(length.to(unit)).setScale(places, RoundingMode.HALF_UP);
        if (rounded.signum() == 0) {
            rounded = rounded.abs();
        }
        return withoutNought(rounded.toPlainString(), unit);
    }

    /**
     * As the trade writes a figure with its unit: {@code .063 in}, {@code .1875 in}, {@code 4.76 mm}: three places in
     * inches and two in
     * millimetres, one more where it is needed.
     */
    public static String trade(Length length, Unit unit) {
        return trade(length, unit, 4);
    }

    /**
     * Likewise with up to so many places, noughts at the end left away down to three in inches and two in millimetres.
     *
     * @param places in inches, 4 or more; millimetres get one fewer
     */
    static String trade(Length length, Unit unit, int places) {
        String fine = figure(length, unit, places);
        for (int p = places; p > 3 && fine.endsWith("0"); p--) {
            fine = fine.substring(0, fine.length() - 1);
        }
        return fine + " " + unit.symbol();
    }

    /** All digits that matter and no more: {@code .0625 in}, {@code 3.2 mm}. */
    public static String exact(Length length, Unit unit) {
        BigDecimal rounded = BigDecimal.valueOf(length.to(unit))
                .setScale(6, RoundingMode.HALF_UP)
                .stripTrailingZeros();
        if (rounded.signum() == 0) {
            return "0 " + unit.symbol();
        }
        return withoutNought(rounded.toPlainString(), unit) + " " + unit.symbol();
    }

    /**
     * To the nearest 1/64 in, in lowest terms, marked {@code ~} where that is not the exact value: {@code 1 5/16 in},
     * {@code ~3/64 in}.
     */
    public static String fraction(Length length) {
        double sixtyFourths = length.in() * 64;
        long nearest = Math.round(Math.abs(sixtyFourths));
        boolean exact = length.abs().same(Length.fraction(nearest, 64));
        long whole = nearest / 64;
        long numerator = nearest % 64;
        long denominator = 64;
        while (numerator != 0 && numerator % 2 == 0) {
            numerator /= 2;
            denominator /= 2;
        }
        String sign = sixtyFourths < 0 && nearest != 0 ? "-" : "";
        String part = numerator == 0 ? "" : numerator + "/" + denominator;
        String number =
                whole == 0 && !part.isEmpty() ? part : part.isEmpty() ? Long.toString(whole) : whole + " " + part;
        return (exact ? "" : "~") + sign + number + " in";
    }

    private static String withoutNought(String plain, Unit unit) {
        if (unit == Unit.MM) {
            return plain;
        }
        if (plain.startsWith("0.")) {
            return plain.substring(1);
        }
        return plain.startsWith("-0.") ? "-" + plain.substring(2) : plain;
    }
}
