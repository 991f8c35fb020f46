package bucina.store.drawing;

import bucina.core.drawing.Drawing;
import bucina.core.sheet.Corner;
import bucina.core.sheet.Point;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.Iterator;
import java.util.LinkedList;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * Joins lines and arcs whose ends meet, layer by layer: an outline is often drawn as pieces. Takes time in proportion
 * to the pieces.
 */
final class Joiner {

    /** Ends nearer than this, nm, meet: a hundredth of a millimetre. */
    static final double MEET = 10_000;

    /**
     * A piece.
     *
     * @param bulge from a to b
     */
    record Piece(String layer, Point a, Point b, double bulge) {

        Piece turned() {
            return new Piece(layer, b, a, -bulge);
        }
    }

    private record Cell(String layer, long x, long y) {}

    private final List<Piece> pieces;
    private final boolean[] used;
    private final Map<Cell, Collection<Integer>> ends = new HashMap<>();

    Joiner(List<Piece> pieces) {
        this.pieces = pieces;
        this.used = new boolean[pieces.size()];
        for (int i = 0; i < pieces.size(); i++) {
            ends.computeIfAbsent(cell(pieces.get(i).layer, pieces.get(i).a, 0, 0), c -> new LinkedList<>())
                    .add(i);
            ends.computeIfAbsent(cell(pieces.get(i).layer, pieces.get(i).b, 0, 0), c -> new LinkedList<>())
                    .add(i);
        }
    }

    private static Cell cell(String layer, Point p, int dx, int dy) {
        return new Cell(layer, (long) Math.floor(p.x() / MEET) + dx, (long) Math.floor(p.y() / MEET) + dy);
    }

    List<Drawing.Shape> joined() {
        List<Drawing.Shape> paths = new ArrayList<>();
        for (int i = 0; i < used.length; i++) {
            if (!used[i] && pieces.get(i).a.to(pieces.get(i).b).nanometres() > 0) {
                paths.add(from(i));
            }
        }
        return paths;
    }

    private Drawing.Path from(int i) {
        used[i] = true;
        Piece first = pieces.get(i);
        List<Corner> corners = new ArrayList<>(List.of(new Corner(first.a, first.bulge)));
        Point end = first.b;
        boolean closed = false;
        for (Piece next = after(first.layer, end); next != null; next = after(first.layer, end)) {
            corners.add(new Corner(end, next.bulge));
            end = next.b;
            closed = end.to(first.a).nanometres() < MEET;
            if (closed) {
                break;
            }
        }
        if (!closed) {
            corners.add(Corner.of(end));
        }
        return new Drawing.Path(first.layer, corners, closed);
    }

    /** An unused piece that begins near the point, turned about where it ends there; null where none does. */
    private @Nullable Piece after(String layer, Point at) {
        for (int dx = -1; dx <= 1; dx++) {
            for (int dy = -1; dy <= 1; dy++) {
                Piece met = meets(ends.getOrDefault(cell(layer, at, dx, dy), List.of()), at);
                if (met != null) {
                    return met;
                }
            }
        }
        return null;
    }

    /** Pieces that are used are struck off, so that thousands that end in one point are gone through once. */
    private @Nullable Piece meets(Collection<Integer> here, Point at) {
        for (Iterator<Integer> each = here.iterator(); each.hasNext(); ) {
            int i = each.next();
            Piece p = pieces.get(i);
            boolean begins = p.a.to(at).nanometres() < MEET;
            if (used[i]) {
                each.remove();
            } else if (begins || p.b.to(at).nanometres() < MEET) {
                used[i] = true;
                each.remove();
                return begins ? p : p.turned();
            }
        }
        return null;
    }
}
