package bucina.store.dxf;

import bucina.core.measure.Unit;
import bucina.store.drawing.FileUnit;
import bucina.store.drawing.Limits;
import java.util.Optional;

/** The unit that the header of a DXF says. */
final class InsUnits {

    private static final double INCH = 25_400_000;
    private static final double MM = 1_000_000;
    private static final double SURVEY_FOOT = 1200e9 / 3937;

    private InsUnits() {}

    /** By the number that {@code $INSUNITS} has; empty for none and for what measures no sheets. */
    static Optional<FileUnit> of(int insunits) {
        return switch (insunits) {
            case 1 -> inches("inches", INCH);
            case 2 -> inches("feet", 12 * INCH);
            case 3 -> inches("miles", 63_360 * INCH);
            case 4 -> metric("millimetres", MM);
            case 5 -> metric("centimetres", 10 * MM);
            case 6 -> metric("metres", 1000 * MM);
            case 7 -> metric("kilometres", 1e6 * MM);
            case 8 -> inches("microinches", INCH / 1e6);
            case 9 -> inches("thousandths of an inch", INCH / 1000);
            case 10 -> inches("yards", 36 * INCH);
            case 11 -> metric("angstroms", MM / 1e7);
            case 12 -> metric("nanometres", MM / 1e6);
            case 13 -> metric("micrometres", MM / 1000);
            case 14 -> metric("decimetres", 100 * MM);
            case 15 -> metric("decametres", 10_000 * MM);
            case 16 -> metric("hectometres", 100_000 * MM);
            case 21 -> inches("US survey feet", SURVEY_FOOT);
            case 22 -> inches("US survey inches", SURVEY_FOOT / 12);
            case 23 -> inches("US survey yards", 3 * SURVEY_FOOT);
            case 24 -> inches("US survey miles", 5280 * SURVEY_FOOT);
            default -> Optional.empty();
        };
    }

    private static Optional<FileUnit> inches(String name, double nanometres) {
        return Optional.of(new FileUnit(name, nanometres, Unit.INCH));
    }

    private static Optional<FileUnit> metric(String name, double nanometres) {
        return Optional.of(new FileUnit(name, nanometres, Unit.MM));
    }

    /** Reads the rest of the header for it. */
    static Optional<FileUnit> read(PairSource pairs) {
        Optional<FileUnit> unit = Optional.empty();
        String variable = "";
        while (pairs.next() && !(pairs.code() == 0 && pairs.value().equals("ENDSEC"))) {
            if (pairs.code() == 9) {
                variable = pairs.value();
            } else if (variable.equals("$INSUNITS") && pairs.code() == 70) {
                unit = of((int) Limits.figure("$INSUNITS", pairs.value()));
            }
        }
        return unit;
    }
}
