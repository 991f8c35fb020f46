package bucina.desk.sheet;

import bucina.core.measure.Unit;
import java.util.Locale;

/**
 * Where a ruler has its ticks.
 *
 * @param step     distance of two labelled ticks, in the unit
 * @param parts    unlabelled parts between them
 * @param decimals places behind the point on the labels
 */
public record RulerScale(double step, int parts, int decimals) {

    /**
     * The finest scale whose labels are at least {@code room} px apart.
     *
     * @param pxPerUnit px for one of the unit, over 0
     */
    public static RulerScale of(double pxPerUnit, double room) {
        double wanted = room / pxPerUnit;
        double power = Math.pow(10, Math.floor(Math.log10(wanted)));
        double lead = wanted / power;
        int nice = lead <= 1 ? 1 : lead <= 2 ? 2 : lead <= 5 ? 5 : 10;
        double step = nice * power;
        int decimals = Math.max(0, (int) -Math.floor(Math.log10(step) + 1e-9));
        return new RulerScale(step, nice == 2 ? 4 : 5, decimals);
    }

    /** The label at a multiple of the step; inches without the nought before the point, as the trade writes them. */
    public String label(long multiple, Unit unit) {
        String text = String.format(Locale.ROOT, "%." + decimals + "f", multiple * step);
        return unit == Unit.INCH && decimals > 0 ? text.replaceFirst("^(-?)0\\.", "$1.") : text;
    }
}
