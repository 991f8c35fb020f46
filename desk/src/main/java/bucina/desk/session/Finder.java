package bucina.desk.session;

import bucina.core.plan.Build;
import bucina.core.plan.Id;
import bucina.core.plan.KeptSum;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.stack.HoleReading;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Supplier;

/** The one search box: finds holes, rows, groups, faces, sheets and commands by what they are called. */
public final class Finder {

    /** What a hit is. */
    public enum Kind {
        COMMAND("do"),
        FACE("face"),
        GROUP("group"),
        ROW("row"),
        HOLE("hole"),
        SHEET("sheet"),
        PART("part"),
        JOB("job"),
        SUM("sum"),
        HELP("help");

        private final String word;

        Kind(String word) {
            this.word = word;
        }

        /** Shown before the hit. */
        public String word() {
            return word;
        }
    }

    /**
     * One thing found.
     *
     * @param kind what it is
     * @param name what it is called
     * @param note where it is, or the key that does it
     * @param go   goes there or does it
     */
    public record Hit(Kind kind, String name, String note, Runnable go) {}

    private final Desk desk;
    private final List<Hit> commands;
    private final Supplier<List<Hit>> guide;
    private final Consumer<KeptSum> open;

    /**
     * @param commands searched with the rest
     * @param guide    what the guide says something of; asked for when something is searched
     * @param open     opens a kept sum
     */
    public Finder(Desk desk, List<Hit> commands, Supplier<List<Hit>> guide, Consumer<KeptSum> open) {
        this.guide = guide;
        this.desk = desk;
        this.open = open;
        this.commands = List.copyOf(commands);
    }

    /** The best hits for a text, best first; with no text the commands. */
    public List<Hit> find(String text, int most) {
        String wanted = text.strip().toLowerCase(Locale.ROOT);
        if (wanted.isEmpty()) {
            return commands.stream().limit(most).toList();
        }
        List<Hit> all = new ArrayList<>(commands);
        all.addAll(guide.get());
        places(all, wanted);
        return all.stream()
                .filter(h -> score(h, wanted) < 9)
                .sorted(Comparator.comparingInt((Hit h) -> score(h, wanted))
                        .thenComparing(Hit::kind)
                        .thenComparingInt(h -> h.name().length()))
                .limit(most)
                .toList();
    }

    /** What is done or gone to comes before what the guide says of it. */
    private static int score(Hit hit, String wanted) {
        int score = match(hit, wanted);
        return hit.kind() == Kind.HELP && score < 9 ? score + 2 : score;
    }

    private static int match(Hit hit, String wanted) {
        String name = hit.name().toLowerCase(Locale.ROOT);
        if (name.equals(wanted)) {
            return 0;
        }
        if (name.startsWith(wanted)) {
            return 1;
        }
        if (name.contains(" " + wanted)) {
            return 2;
        }
        return name.contains(wanted) ? 3 : hit.note().toLowerCase(Locale.ROOT).contains(wanted) ? 4 : 9;
    }

    private void places(List<Hit> all, String wanted) {
        desk.snapshot()
                .build()
                .workshop()
                .sums()
                .forEach(k -> all.add(new Hit(Kind.SUM, k.name(), "bench sums", () -> open.accept(k))));
        paged(all);
        for (Build.FaceRef ref : desk.snapshot().build().faces()) {
            Id.Face face = ref.face().id();
            String where = ref.face().name();
            all.add(new Hit(Kind.FACE, where, ref.assembly().name(), () -> desk.show(face)));
            groups(all, ref);
            for (Layer layer : ref.face().layers()) {
                all.add(new Hit(Kind.SHEET, layer.name(), where, () -> showLayer(face, layer)));
            }
            Optional<HoleReading> last = Optional.empty();
            for (HoleReading reading : desk.snapshot().face(face).readings()) {
                if (last.isEmpty()
                        || !last.get().row().id().equals(reading.row().id())) {
                    all.add(new Hit(
                            Kind.ROW,
                            reading.row().name(),
                            where + ", " + reading.group().name(),
                            () -> showRow(face, reading.row().id())));
                }
                last = Optional.of(reading);
                if (reading.label().toLowerCase(Locale.ROOT).startsWith(wanted)) {
                    all.add(new Hit(
                            Kind.HOLE,
                            reading.label(),
                            where + ", " + reading.group().name(),
                            () -> {
                                desk.show(face);
                                desk.selectionProperty()
                                        .set(Selection.none(face).one(reading));
                            }));
                }
            }
        }
    }

    private void groups(List<Hit> all, Build.FaceRef ref) {
        String where = ref.face().name();
        ref.face()
                .groups()
                .forEach(group -> all.add(new Hit(
                        Kind.GROUP,
                        group.code() + " " + group.name(),
                        where + (group.page().isEmpty() ? "" : ", " + group.page()),
                        () -> desk.show(new Build.GroupRef(ref.assembly(), ref.face(), group)))));
    }

    /** Parts, and jobs of the builder's own; each is found by its page too. */
    private void paged(List<Hit> all) {
        for (Part part : desk.snapshot().parts().all()) {
            String said = part.particulars().number() + " " + part.particulars().page();
            all.add(new Hit(Kind.PART, part.name(), said.strip(), () -> {
                desk.partProperty().set(Optional.of(part.id()));
                desk.roomProperty().set(Desk.Room.PARTS);
            }));
        }
        desk.snapshot()
                .build()
                .workshop()
                .jobs()
                .forEach(j -> all.add(new Hit(
                        Kind.JOB, j.name(), j.page(), () -> desk.roomProperty().set(Desk.Room.LOGBOOK))));
    }

    private void showRow(Id.Face face, Id.Row row) {
        desk.show(face);
        desk.selectionProperty().set(Selection.row(desk.snapshot().face(face), row, Optional.empty()));
    }

    /** Picks every hole that goes through a sheet. */
    private void showLayer(Id.Face face, Layer layer) {
        desk.show(face);
        var reading = desk.snapshot().face(face);
        List<HoleReading> through = reading.readings().stream()
                .filter(r -> r.layers().stream().anyMatch(l -> l.id().equals(layer.id())))
                .toList();
        if (!through.isEmpty()) {
            desk.selectionProperty()
                    .set(new Selection(
                            face,
                            Optional.of(through.getFirst().hole().id()),
                            new LinkedHashSet<>(
                                    through.stream().map(r -> r.hole().id()).toList())));
        }
    }
}
