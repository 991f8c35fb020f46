package bucina.store.dxf;

import bucina.core.measure.InputException;
import bucina.core.measure.Unit;
import bucina.store.curve.Gathered;
import bucina.store.curve.Lefts;
import bucina.store.curve.Placing;
import bucina.store.curve.Sink;
import bucina.store.drawing.FileUnit;
import bucina.store.drawing.Limits;
import bucina.store.drawing.Progress;
import bucina.store.drawing.Reading;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;

/*
 * Design. Entities are drawn as they are read; only those of blocks are kept, and drawn where they are inserted. What
 * is drawn in pieces is joined when all is read, and what is round by then is a circle.
 */

/** Reads DXF of any version, as text or binary. */
public final class DxfReader {

    /** Blocks in blocks deeper than this are a file that goes round in circles. */
    private static final int DEEPEST = 16;

    private final PairSource pairs;
    private final Unit otherwise;
    private final Progress progress;
    private final Sink sink = new Sink();
    private final Lefts lefts = new Lefts();
    private final Curves curves = new Curves(sink, lefts);
    private final Layers layers = new Layers();
    private final Map<String, Block> blocks = new HashMap<>();
    private final boolean forced;
    private Optional<FileUnit> unit = Optional.empty();
    private int drawn;
    private boolean ended;

    /** A block: its base point and what is in it. */
    private record Block(double x, double y, boolean elsewhere, List<Entity> inside) {}

    private DxfReader(PairSource pairs, Unit otherwise, boolean forced, Progress progress) {
        this.forced = forced;
        this.pairs = pairs;
        this.otherwise = otherwise;
        this.progress = progress;
    }

    /**
     * Reads a drawing.
     *
     * @param bytes the whole file
     * @param unit  taken where the file names none
     * @throws InputException if it is no DXF, or is damaged or cut off
     */
    public static Reading read(byte[] bytes, Unit unit, Progress progress) {
        return new DxfReader(PairSource.of(bytes), unit, false, progress).reading();
    }

    /** As {@link #read(byte[], Unit, Progress)}, taking the unit whatever the file says. */
    public static Reading as(byte[] bytes, Unit unit, Progress progress) {
        return new DxfReader(PairSource.of(bytes), unit, true, progress).reading();
    }

    /** As {@link #read(byte[], Unit, Progress)}, of a text that is decoded already. */
    public static Reading read(String text, Unit unit, Progress progress) {
        return new DxfReader(PairSource.of(text), unit, false, progress).reading();
    }

    private Reading reading() {
        boolean any = false;
        while (!ended && pairs.next()) {
            if (pairs.code() != 0) {
                continue;
            }
            if (pairs.value().equals("EOF")) {
                ended = true;
            } else if (pairs.value().equals("SECTION") && pairs.next() && pairs.code() == 2) {
                any = true;
                section(pairs.value());
            }
        }
        if (!any) {
            throw new InputException("this is no DXF: it has no SECTION. A DXF begins with the lines 0, SECTION");
        }
        if (!ended) {
            throw new InputException("the DXF ends before its EOF: it was cut off. Write it again, or fetch it again");
        }
        return new Reading(Gathered.of(sink, lefts), unit);
    }

    private void section(String name) {
        switch (name) {
            case "HEADER" -> unit = InsUnits.read(pairs);
            case "TABLES" -> entities(layers::table);
            case "BLOCKS" -> blocks();
            case "ENTITIES" -> {
                Placing at = Placing.scaled(nanometres(), nanometres());
                entities(e -> draw(e, "", at, 0));
            }
            default -> pairs.skip();
        }
    }

    private double nanometres() {
        return unit.filter(u -> !forced).map(FileUnit::nanometres).orElse(otherwise.nanometres());
    }

    /** Goes through the entities of a section or a block; the vertices of a polyline come with it. */
    private void entities(Consumer<Entity> each) {
        Entity now = null;
        Entity polyline = null;
        boolean vertex = false;
        int many = 0;
        while (pairs.next()) {
            if (pairs.code() != 0) {
                if (now != null) {
                    now.put(pairs.code(), pairs.value());
                }
                continue;
            }
            String kind = pairs.value();
            vertex = kind.equals("VERTEX") && polyline != null;
            if (!vertex && now != null && polyline == null) {
                each.accept(now);
            }
            if (!vertex && polyline != null) {
                each.accept(polyline);
                polyline = null;
            }
            if (kind.equals("ENDSEC") || kind.equals("ENDBLK") || kind.equals("EOF")) {
                ended = kind.equals("EOF");
                return;
            }
            progress.check(pairs.share() * 0.8);
            Limits.count(++many);
            now = kind.equals("SEQEND") ? null : new Entity(kind);
            if (vertex && polyline != null && now != null) {
                polyline.add(now);
            } else if (kind.equals("POLYLINE")) {
                polyline = now;
            }
        }
    }

    private void blocks() {
        while (!ended && pairs.next()) {
            if (pairs.code() == 0
                    && (pairs.value().equals("ENDSEC") || pairs.value().equals("EOF"))) {
                ended = pairs.value().equals("EOF");
                return;
            }
            if (pairs.code() == 0 && pairs.value().equals("BLOCK")) {
                block();
            }
        }
    }

    private void block() {
        Entity head = new Entity("BLOCK");
        while (pairs.peekCode() > 0 && pairs.next()) {
            head.put(pairs.code(), pairs.value());
        }
        List<Entity> inside = new ArrayList<>();
        entities(inside::add);
        blocks.put(name(head), new Block(head.number(10, 0), head.number(20, 0), head.bit(70, 4), inside));
    }

    private static String name(Entity e) {
        return e.text(2, "").toUpperCase(Locale.ROOT);
    }

    private void draw(Entity e, String outer, Placing at, int depth) {
        Limits.count(++drawn);
        if ((drawn & 1023) == 0) {
            progress.check(pairs.share() * 0.8);
        }
        // On layer 0 of a block things are on the layer the block is put on.
        String layer = pairs.before(depth > 0 && e.layer().equals("0") ? outer : e.layer());
        Optional<String> hidden = layers.hides(e, layer);
        if (hidden.isPresent()) {
            curves.leave(e, layer, at, hidden.get());
        } else if (e.kind().equals("INSERT")) {
            insert(e, layer, at, depth);
        } else if (!e.kind().equals("VERTEX")) {
            curves.draw(e, layer, at);
        }
    }

    private void insert(Entity e, String layer, Placing at, int depth) {
        Block block = blocks.get(name(e));
        Optional<Placing> plane = e.plane();
        if (block == null || block.elsewhere) {
            curves.leave(e, layer, at, "the block \"" + cut(e.text(2, "")) + "\" is not in this file");
        } else if (plane.isEmpty()) {
            curves.leave(e, layer, at, "put into a plane that is tilted");
        } else if (depth >= DEEPEST) {
            curves.leave(e, layer, at, "blocks in it go deeper than " + DEEPEST);
        } else {
            Placing turned = at.of(plane.get())
                    .of(Placing.moved(e.number(10, 0), e.number(20, 0)))
                    .of(Placing.turned(e.number(50, 0)));
            Placing own = Placing.scaled(e.number(41, 1), e.number(42, 1)).of(Placing.moved(-block.x, -block.y));
            int columns = count(e, 70);
            int rows = count(e, 71);
            for (int row = 0; row < rows; row++) {
                for (int column = 0; column < columns; column++) {
                    Placing inner = turned.of(Placing.moved(column * e.number(44, 0), row * e.number(45, 0)))
                            .of(own);
                    block.inside.forEach(b -> draw(b, layer, inner, depth + 1));
                }
            }
        }
    }

    private static int count(Entity e, int code) {
        return (int) Math.clamp(e.number(code, 1), 1, Limits.SHAPES);
    }

    private static String cut(String text) {
        return text.length() > 40 ? text.substring(0, 40) + "…" : text;
    }
}
