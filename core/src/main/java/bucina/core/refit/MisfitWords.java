package bucina.core.refit;

import bucina.core.measure.Length;
import bucina.core.measure.Sentence;
import bucina.core.sheet.Point;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * What a misfit means, for somebody at the bench.
 *
 * @param part   what the part is called
 * @param right  what lies along +x, {@code outboard}; blank for {@code +x}
 * @param up     what lies along +y, {@code forward}; blank for {@code +y}
 * @param labels what the holes are called, in order
 */
public record MisfitWords(String part, String right, String up, List<String> labels) {

    /** What is said of a shift, nm, and of a turn, degrees. */
    private static final double SEEN = 50_800;

    private static final double TURNED = 0.02;

    public MisfitWords {
        labels = List.copyOf(labels);
    }

    /** Holes that are called by their place in the list, from 1, on axes that have no names. */
    public static MisfitWords bare(int holes) {
        List<String> labels = new ArrayList<>();
        for (int i = 1; i <= holes; i++) {
            labels.add("hole " + i);
        }
        return new MisfitWords("the part", "", "", labels);
    }

    /** What is the matter, which cleco to pull and which way to move. */
    public Sentence of(Misfit misfit) {
        return switch (misfit.verdict()) {
            case FITS -> Sentence.of("It fits: every hole is as near as it need be. Nothing is moved.");
            case MOVED -> moved(misfit);
            case PITCH ->
                Sentence.of("The holes of " + part + " have another pitch: wrong part or wrong hand. Pull the cleco at "
                        + pulled(misfit) + " and compare the number and hand with the drawing. Drill nothing.");
            case BOWED ->
                Sentence.of(part(true) + " is bowed across its holes, or its flange is. Pull the cleco at "
                        + pulled(misfit) + " and straighten it (flutes) before a hole is drilled.");
            case ONE_HOLE ->
                Sentence.of(
                        "One hole does not belong: " + pulled(misfit) + " is {} off, the others fit each other. "
                                + "Pull the cleco there first; open no other hole for it.",
                        misfit.residuals().get(misfit.pull().orElseThrow()));
            case UNCLEAR ->
                Sentence.of("These " + labels.size() + " holes do not say why: measure more holes along " + part
                        + ", the ends and the middle among them.");
        };
    }

    private String part(boolean first) {
        return first ? part.substring(0, 1).toUpperCase(Locale.ROOT) + part.substring(1) : part;
    }

    private String pulled(Misfit misfit) {
        return labels.get(misfit.pull().orElseThrow());
    }

    private Sentence moved(Misfit misfit) {
        List<Length> lengths = new ArrayList<>();
        String sits = way(misfit.shift(), lengths);
        double turn = misfit.turn();
        boolean turned = Math.abs(turn) >= TURNED;
        List<String> found = new ArrayList<>();
        List<String> todo = new ArrayList<>();
        if (!sits.isEmpty()) {
            found.add("sits " + sits);
            todo.add("move it back as far");
        }
        if (turned || found.isEmpty()) {
            found.add(String.format(
                    Locale.ROOT, "is turned %.2f° %s", Math.abs(turn), turn > 0 ? "anticlockwise" : "clockwise"));
            todo.add("turn it " + (turn > 0 ? "clockwise" : "anticlockwise"));
        }
        return new Sentence(
                part(true) + " " + String.join(" and ", found) + ". Pull the cleco at " + pulled(misfit) + " first, "
                        + String.join(" and ", todo) + ", and try again. Move this part, not the skin.",
                lengths);
    }

    private String way(Point shift, List<Length> lengths) {
        List<String> ways = new ArrayList<>();
        way(shift.x(), right, "x", ways, lengths);
        way(shift.y(), up, "y", ways, lengths);
        return String.join(" and ", ways);
    }

    private static void way(double nm, String toward, String axis, List<String> ways, List<Length> lengths) {
        if (Math.abs(nm) >= SEEN) {
            ways.add("{} too far " + (toward.isBlank() ? "toward " + (nm > 0 ? "+" : "-") + axis : side(nm, toward)));
            lengths.add(Length.nm(Math.abs(nm)));
        }
    }

    private static String side(double nm, String toward) {
        return nm > 0 ? toward : "the other way than " + toward;
    }
}
