package bucina.core.drawing;

import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.measure.Unit;
import bucina.core.sheet.Box;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Ring;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeMap;
import java.util.stream.Collectors;

/**
 * What is understood of a drawing, in figures that a person can check against the paper.
 *
 * @param sheets in the order of the intake
 * @param holes  how many there are of each diameter, smallest first
 * @param untold how many holes tell no diameter; they are not among {@code holes}
 */
public record Understood(List<Sheet> sheets, List<Size> holes, int untold) {

    /** Diameters nearer than this, nm, are one. */
    private static final double SAME = 1000;

    /** Sheets beyond so many are told together. */
    private static final int NAMED = 4;

    /**
     * A sheet.
     *
     * @param area     of its metal, without the openings, mm²
     * @param openings how many, without the holes for fasteners
     */
    public record Sheet(String name, Length width, Length height, double area, int openings) {}

    /** How many holes there are of a diameter. */
    public record Size(Length diameter, int many) {}

    /** The figures of an intake. */
    public static Understood of(Intake in) {
        TreeMap<Long, Size> sizes = new TreeMap<>();
        in.rows().stream()
                .filter(Intake.Line::sized)
                .flatMap(r -> r.holes().stream())
                .forEach(c -> sizes.merge(
                        Math.round(c.diameter().nanometres() / SAME),
                        new Size(c.diameter(), 1),
                        (all, one) -> new Size(all.diameter, all.many + 1)));
        int untold = in.rows().stream()
                .filter(r -> !r.sized())
                .mapToInt(r -> r.holes().size())
                .sum();
        return new Understood(
                in.sheets().stream().map(Understood::sheet).toList(), List.copyOf(sizes.values()), untold);
    }

    private static Sheet sheet(Intake.Sheet s) {
        Outline outline = s.outline();
        Box box = outline.box();
        double openings = outline.openings().stream().mapToDouble(Ring::area).sum();
        return new Sheet(
                Intake.plain(s.name()),
                Length.nm(box.width()),
                Length.nm(box.height()),
                (outline.outer().area() - openings) / 1e12,
                outline.openings().size());
    }

    /** The figures as sentences. */
    public List<String> words(Unit unit) {
        List<String> words = new ArrayList<>();
        for (Sheet s : sheets.subList(0, Math.min(NAMED, sheets.size()))) {
            words.add("Sheet " + s.name + ": " + LengthFormat.trade(s.width, unit) + " by "
                    + LengthFormat.trade(s.height, unit) + ", " + area(s.area, unit)
                    + (s.openings == 0 ? "" : s.openings == 1 ? ", 1 opening" : ", " + s.openings + " openings") + ".");
        }
        if (sheets.size() > NAMED) {
            words.add("And " + (sheets.size() - NAMED) + " sheets more.");
        }
        int count = holes.stream().mapToInt(Size::many).sum();
        if (count > 0) {
            words.add(count + (count == 1 ? " hole: " : " holes: ")
                    + holes.stream()
                            .map(h -> h.many + " of " + LengthFormat.trade(h.diameter, unit))
                            .collect(Collectors.joining(", "))
                    + ".");
        }
        if (untold > 0) {
            words.add(untold + (untold == 1 ? " hole tells" : " holes tell")
                    + " no diameter: planned for the rivet that is chosen.");
        }
        return words;
    }

    private static String area(double mm2, Unit unit) {
        return unit == Unit.INCH ? "%.2f in²".formatted(mm2 / 645.16) : "%.1f cm²".formatted(mm2 / 100);
    }
}
