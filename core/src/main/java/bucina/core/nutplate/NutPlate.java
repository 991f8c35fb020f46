package bucina.core.nutplate;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.LengthParser;
import bucina.core.sheet.Point;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/**
 * A nut plate: a nut with lugs that are riveted behind a sheet.
 *
 * @param size   of its screw, {@code 8}
 * @param hole   clearance hole of the screw
 * @param drill  that makes it
 * @param places of its lug rivets from the screw, x along the plate; 1 to 4, each beyond the screw hole
 * @param rivet  diameter D of the lug rivets
 * @param source where the figures stand
 */
public record NutPlate(String size, Length hole, String drill, List<Point> places, Length rivet, String source) {

    private static final Point SCREW = new Point(0, 0);
    private static final int MOST = 4;

    public NutPlate {
        places = List.copyOf(places);
        if (places.isEmpty() || places.size() > MOST) {
            throw new InputException("a nut plate has 1 to 4 lug rivets, like .344, 0; -.344, 0, was " + places.size());
        }
        checkPlaces(places, hole, rivet);
        if (places.stream().distinct().count() < places.size()) {
            throw new InputException(
                    "two lug rivets of a nut plate are in one place: each has its own, like .344, 0; -.344, 0");
        }
    }

    private static void checkPlaces(List<Point> places, Length hole, Length rivet) {
        for (Point p : places) {
            if (!(hole.positive()
                    && rivet.positive()
                    && p.to(SCREW).minus(hole.times(0.5)).positive())) {
                throw new InputException("the lug rivets of a nut plate lie beyond its screw hole, was " + p.to(SCREW)
                        + " with a hole of " + hole);
            }
        }
    }

    /** A plate with a lug either side, each as far from the screw. */
    public static NutPlate twoLug(String size, Length hole, String drill, Length lug, Length rivet, String source) {
        return new NutPlate(
                size,
                hole,
                drill,
                List.of(new Point(-lug.nanometres(), 0), new Point(lug.nanometres(), 0)),
                rivet,
                source);
    }

    /**
     * This plate with its lug rivets where a drawing has them: one-lug, corner, miniature.
     *
     * @param text x, y from the screw, x along the plate, as {@code .344, 0; .344, .250}
     * @throws InputException if it is no list of places
     */
    public NutPlate shaped(String text, LengthParser lengths) {
        List<Point> at = new ArrayList<>();
        for (String one : text.split(";", -1)) {
            place(one, text, at, lengths);
        }
        return new NutPlate(size, hole, drill, at, rivet, "places of the lug rivets as entered: the drawing governs");
    }

    private static void place(String one, String text, List<Point> at, LengthParser lengths) {
        String[] xy = one.split(",", -1);
        if (xy.length != 2) {
            throw new InputException("lug rivets \"" + text.strip()
                    + "\" are no places x, y from the screw: write them like .344, 0; 0, .344");
        }
        at.add(Point.at(lengths.parse(xy[0]), lengths.parse(xy[1])));
    }

    /** From the screw to the farthest lug rivet. */
    public Length lug() {
        return places.stream().map(p -> p.to(SCREW)).reduce(Length::max).orElseThrow();
    }

    /** True if it lies the same turned half round. */
    public boolean even() {
        return places.stream()
                .allMatch(p ->
                        places.stream().anyMatch(q -> Math.abs(q.x() + p.x()) < 1 && Math.abs(q.y() + p.y()) < 1));
    }

    /**
     * The plate for a screw size.
     *
     * @throws InputException if the catalogue lacks it; the message lists those it has
     */
    public static NutPlate of(List<NutPlate> table, String size) {
        String clean = size.strip().replace("#", "");
        return table.stream()
                .filter(p -> p.size.equals(clean))
                .findFirst()
                .orElseThrow(() -> new InputException("\"" + size.strip()
                        + "\" is no screw size with a two-lug plate in the catalogue: it has "
                        + table.stream().map(NutPlate::size).collect(Collectors.joining(", "))
                        + "; enter other patterns from the drawing"));
    }
}
