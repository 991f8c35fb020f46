package bucina.store.table;

import bucina.core.measure.Unit;
import bucina.store.drawing.FileUnit;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** The units that tables name, in common languages. */
final class Scale {

    private static final FileUnit MM = new FileUnit("millimetres", 1e6, Unit.MM);
    private static final FileUnit INCH = new FileUnit("inches", 25_400_000, Unit.INCH);

    private static final Map<Set<String>, FileUnit> UNITS = Map.of(
            Set.of(
                    "mm",
                    "millimeter",
                    "millimeters",
                    "millimetre",
                    "millimetres",
                    "millimetri",
                    "milimetros",
                    "milimetro"),
            MM,
            Set.of(
                    "in",
                    "inch",
                    "inches",
                    "\"",
                    "″",
                    "''",
                    "zoll",
                    "pouce",
                    "pouces",
                    "pulgada",
                    "pulgadas",
                    "pollice",
                    "pollici",
                    "tum",
                    "duim",
                    "cal",
                    "cale"),
            INCH,
            Set.of("cm", "centimeter", "centimeters", "centimetre", "centimetres", "centimetri", "centimetros"),
            new FileUnit("centimetres", 1e7, Unit.MM),
            Set.of("m", "meter", "meters", "metre", "metres", "metri", "metros"),
            new FileUnit("metres", 1e9, Unit.MM),
            Set.of("um", "µm", "μm", "micron", "microns", "micrometre", "micrometer", "mikrometer"),
            new FileUnit("micrometres", 1e3, Unit.MM),
            Set.of("mil", "mils", "thou", "thous"),
            new FileUnit("thousandths of an inch", 25_400, Unit.INCH),
            Set.of("ft", "foot", "feet", "fuss", "pied", "pieds"),
            new FileUnit("feet", 12 * 25_400_000.0, Unit.INCH));

    private Scale() {}

    /** The unit of this name, in small letters without accents; empty if it is none. */
    static Optional<FileUnit> of(String name) {
        return UNITS.entrySet().stream()
                .filter(e -> e.getKey().contains(name))
                .map(Map.Entry::getValue)
                .findFirst();
    }

    /** The unit of bare figures. */
    static FileUnit of(Unit unit) {
        return unit == Unit.INCH ? INCH : MM;
    }
}
