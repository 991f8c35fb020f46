package bucina.store.json;

import bucina.core.measure.Length;
import java.math.BigDecimal;

/** Millimetres in files: the nanometres with the point moved, so that nothing is lost either way. */
final class Mm {

    /** The largest coordinate a file may hold, in nm: a kilometre. */
    static final double MOST = 1e12;

    private Mm() {}

    static BigDecimal of(double nanometres) {
        BigDecimal mm = BigDecimal.valueOf(nanometres).movePointLeft(6).stripTrailingZeros();
        return mm.scale() < 0 ? mm.setScale(0) : mm;
    }

    static BigDecimal of(Length length) {
        return of(length.nanometres());
    }

    static double nanometres(BigDecimal millimetres) {
        return millimetres.movePointRight(6).doubleValue();
    }
}
