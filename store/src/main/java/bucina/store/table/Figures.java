package bucina.store.table;

import bucina.core.measure.DrillTable;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.LengthParser;
import bucina.core.measure.Unit;
import bucina.store.drawing.FileUnit;
import java.math.BigDecimal;
import java.text.Normalizer;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Reads figures as tables write them: with either decimal mark, parted thousands, powers of ten, fractions, units. */
final class Figures {

    private static final Pattern VULGAR = Pattern.compile("(\\d?)\\s*([¼½¾⅐-⅞])");
    private static final Pattern POWER =
            Pattern.compile("([+-]?(?:\\d{1,20}\\.?\\d{0,20}|\\.\\d{1,20}))[eE]([+-]?\\d{1,2})(.*)");
    private static final Pattern UNIT = Pattern.compile("(.*[\\d.])\\s*([\\p{L}µμ\"″']+)\\.?");
    private static final int LONGEST = 100;
    private static final String GROUPED = "[+-]?\\d{1,3}([ .,'’]\\d{3})+";

    private final DrillTable drills;
    private final DecimalMark mark;

    Figures(DrillTable drills, DecimalMark mark) {
        this.drills = drills;
        this.mark = mark;
    }

    /** What figures tell of their decimal mark; empty where nothing does. */
    record Marks(Optional<DecimalMark> sure, boolean open) {}

    /**
     * What the figures of a table tell of their decimal mark.
     *
     * @throws InputException if some tell the one and some the other
     */
    static Marks marks(List<String> figures) {
        boolean point = false;
        boolean comma = false;
        boolean open = false;
        for (String f : figures) {
            int lastPoint = f.lastIndexOf('.');
            int lastComma = f.lastIndexOf(',');
            if (lastPoint >= 0 && lastComma >= 0) {
                point |= lastPoint > lastComma;
                comma |= lastComma > lastPoint;
            } else if (lastComma >= 0) {
                boolean grouped = f.matches(GROUPED);
                point |= grouped && f.indexOf(',') != lastComma;
                comma |= !grouped;
                open |= grouped;
            } else if (lastPoint >= 0) {
                boolean many = f.indexOf('.') != lastPoint;
                comma |= many && f.matches(GROUPED);
                point |= !many && !f.matches(GROUPED);
            }
        }
        if (point && comma) {
            throw new InputException("the table writes decimals after a point in some places and after a comma in"
                    + " others: write them all one way, such as 12.5");
        }
        return new Marks(
                point ? Optional.of(DecimalMark.POINT) : comma ? Optional.of(DecimalMark.COMMA) : Optional.empty(),
                open && !point && !comma);
    }

    /**
     * Reads a length.
     *
     * @param bare the unit where it names none
     */
    Length length(String text, FileUnit bare) {
        if (text.length() > LONGEST) {
            throw new InputException("\"" + text.substring(0, 40) + "...\" is no figure: write it like 12.5 or 1 5/16");
        }
        String clean = fractions(text.replaceAll("[\\u00a0\\u202f\\u2009]", ""));
        FileUnit unit = bare;
        Matcher said = UNIT.matcher(clean);
        if (said.matches()) {
            String word = Heading.plain(said.group(2));
            Optional<FileUnit> own = Scale.of(word);
            if (own.isPresent()) {
                unit = own.get();
                clean = said.group(1);
            }
        }
        if (unit.unit() == Unit.MM && clean.indexOf('/') >= 0) {
            throw new InputException("\"" + text + "\" is a fraction where " + unit.name()
                    + " stand, and fractions are of inches: write it like 3.2, or 1/8 in");
        }
        Length read = new LengthParser(unit.unit(), drills).parse(power(decimal(clean)));
        boolean drill = clean.startsWith("#") || clean.matches("\\p{L}");
        return drill ? read : read.times(unit.nanometres() / unit.unit().nanometres());
    }

    /** True if the figure names its unit itself. */
    static boolean named(String text) {
        Matcher said = UNIT.matcher(text);
        return text.length() <= LONGEST
                && said.matches()
                && Scale.of(Heading.plain(said.group(2))).isPresent();
    }

    /** {@code 1½} as {@code 1 1/2}. */
    private static String fractions(String text) {
        Matcher m = VULGAR.matcher(text);
        return m.replaceAll(f -> f.group(1) + " "
                        + Normalizer.normalize(f.group(2), Normalizer.Form.NFKD).replace('\u2044', '/'))
                .strip();
    }

    /** With a point before the decimals and thousands not parted. */
    private String decimal(String text) {
        String joined = text.matches("[+-]?\\d{1,3}([ '’]\\d{3})+([.,]\\d*)?") ? text.replaceAll("[ '’]", "") : text;
        char other = mark == DecimalMark.COMMA ? '.' : ',';
        if (joined.indexOf(other) >= 0 && joined.matches("[+-]?\\d{1,3}(\\" + other + "\\d{3})+([.,]\\d*)?")) {
            joined = joined.replace(String.valueOf(other), "");
        }
        return mark == DecimalMark.COMMA ? joined.replace(',', '.') : joined;
    }

    private static String power(String text) {
        Matcher m = POWER.matcher(text);
        return m.matches()
                ? new BigDecimal(m.group(1))
                                .scaleByPowerOfTen(Integer.parseInt(m.group(2)))
                                .toPlainString()
                        + m.group(3)
                : text;
    }
}
