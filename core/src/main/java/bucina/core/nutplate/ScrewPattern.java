package bucina.core.nutplate;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.LengthParser;
import bucina.core.sheet.Point;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Where screws go, with the direction the edge runs at each: a plate lies along it if nothing is in the way.
 *
 * @param screws in order along the row, round the ring or round the rectangle
 */
public record ScrewPattern(List<Screw> screws) {

    private static final int MOST = 2000;
    private static final Pattern CIRCLE = Pattern.compile("circle:(\\d{1,5}):(.+)");
    private static final Pattern RECT = Pattern.compile("rect:(\\d{1,4})x(\\d{1,4}):(.+)x(.+)");
    private static final Pattern ROW = Pattern.compile("row:(\\d{1,5}):(.+)");

    /**
     * A screw.
     *
     * @param along degrees from +x that the edge runs at here
     */
    public record Screw(Point at, double along) {}

    public ScrewPattern {
        screws = List.copyOf(screws);
        if (screws.isEmpty() || screws.size() > MOST) {
            throw new InputException(screws.size() + " screws: a pattern has 1 to " + MOST + ", like circle:8:3.0");
        }
    }

    /**
     * Reads {@code circle:8:3.0} (count, diameter), {@code rect:4x3:6.0x4.0} (count along each side with its corners,
     * size) or {@code row:6:1.25}
     * (count, pitch).
     *
     * @throws InputException if it is none of them
     */
    public static ScrewPattern parse(String text, LengthParser lengths) {
        String clean = text.strip().toLowerCase(Locale.ROOT);
        Matcher circle = CIRCLE.matcher(clean);
        if (circle.matches()) {
            return circle(
                    Integer.parseInt(circle.group(1)),
                    lengths.parsePositive(circle.group(2), "diameter of the bolt circle"));
        }
        Matcher rect = RECT.matcher(clean);
        if (rect.matches()) {
            return rectangle(
                    Integer.parseInt(rect.group(1)),
                    Integer.parseInt(rect.group(2)),
                    lengths.parsePositive(rect.group(3), "length of the rectangle"),
                    lengths.parsePositive(rect.group(4), "width of the rectangle"));
        }
        Matcher row = ROW.matcher(clean);
        if (row.matches()) {
            return row(Integer.parseInt(row.group(1)), lengths.parsePositive(row.group(2), "pitch"));
        }
        throw new InputException(
                "\"" + text.strip() + "\" is no pattern of screws: write circle:8:3.0, rect:4x3:6.0x4.0 or row:6:1.25");
    }

    /** Evenly on a circle about the origin, the first on +x. */
    public static ScrewPattern circle(int count, Length diameter) {
        check(count, 2);
        List<Screw> screws = new ArrayList<>();
        double r = diameter.nanometres() / 2;
        for (int i = 0; i < count; i++) {
            double a = 2 * Math.PI * i / count;
            screws.add(new Screw(new Point(r * Math.cos(a), r * Math.sin(a)), turn(Math.toDegrees(a) + 90)));
        }
        return new ScrewPattern(screws);
    }

    /** In a row along x from the origin. */
    public static ScrewPattern row(int count, Length pitch) {
        check(count, 1);
        List<Screw> screws = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            screws.add(new Screw(new Point(i * pitch.nanometres(), 0), 0));
        }
        return new ScrewPattern(screws);
    }

    /** Round a rectangle from its lower left corner; a plate in a corner lies across the corner. */
    public static ScrewPattern rectangle(int across, int up, Length length, Length width) {
        check(across, 2);
        check(up, 2);
        List<Screw> screws = walk(length, width, across, up);
        return new ScrewPattern(screws);
    }

    private static List<Screw> walk(Length length, Length width, int across, int up) {
        List<Screw> screws = new ArrayList<>();
        double l = length.nanometres();
        double w = width.nanometres();
        for (int i = 0; i < across - 1; i++) {
            screws.add(new Screw(new Point(l * i / (across - 1), 0), i == 0 ? 135 : 0));
        }
        for (int i = 0; i < up - 1; i++) {
            screws.add(new Screw(new Point(l, w * i / (up - 1)), i == 0 ? 45 : 90));
        }
        back(across, screws, l, w, up);
        return screws;
    }

    private static void back(int across, List<Screw> screws, double l, double w, int up) {
        for (int i = 0; i < across - 1; i++) {
            screws.add(new Screw(new Point(l - l * i / (across - 1), w), i == 0 ? 135 : 0));
        }
        for (int i = 0; i < up - 1; i++) {
            screws.add(new Screw(new Point(0, w - w * i / (up - 1)), i == 0 ? 45 : 90));
        }
    }

    private static void check(int count, int least) {
        if (count < least || count > MOST) {
            throw new InputException(count + " screws: there are " + least + " to " + MOST
                    + " here, like circle:8:3.0, rect:4x3:6.0x4.0 or row:6:1.25");
        }
    }

    /** A direction from 0 up to 180: a plate looks the same turned half round. */
    static double turn(double degrees) {
        double t = degrees % 180;
        return t < 0 ? t + 180 : t;
    }
}
