package bucina.speed;

import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.edit.PartEdits;
import bucina.core.log.Labour;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.log.Mark;
import bucina.core.log.Operation;
import bucina.core.log.PartMark;
import bucina.core.log.Work;
import bucina.core.plan.Build;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Standing;
import bucina.core.stack.HoleReading;
import bucina.desk.session.Session;
import bucina.store.Document;
import bucina.store.file.BuildFile;
import java.io.IOException;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * What one mark, one entry and a part taken off cost from the call to what is shown, in a build of 20 000 holes with
 * few marks, many, and very many; and what it takes to bring such a build of format 4 up to date.
 */
final class GrowthSpeed {

    private static final int FACES = 10;
    private static final int EACH = 2000;
    private static final int TIMES = 41;
    private static final int ENTRIES = 3000;
    private static final int MARKS = 85_000;

    private final Catalogue catalogue = CatalogueReader.shipped();
    private final Build build = BigBuild.of(FACES, EACH, catalogue.rules());

    private GrowthSpeed() {}

    public static void main(String[] args) throws IOException, SQLException {
        GrowthSpeed speed = new GrowthSpeed();
        Path folder = Files.createTempDirectory("bucina-growth");
        double[] first = new double[3];
        for (int marks : new int[] {5_000, 50_000, 500_000}) {
            double[] ms = speed.actions(folder.resolve(marks + ".bucina"), marks);
            first = marks == 5_000 ? ms : first;
            System.out.printf(
                    Locale.ROOT,
                    "%d marks: a mark %.1f ms (%.2f times), an entry %.1f ms (%.2f times), a part off %.1f ms (%.2f"
                            + " times)%n",
                    marks,
                    ms[0],
                    ms[0] / first[0],
                    ms[1],
                    ms[1] / first[1],
                    ms[2],
                    ms[2] / first[2]);
        }
        speed.migration(folder.resolve("four.bucina"));
    }

    private Logbook log(int many) {
        List<Mark> marks = new ArrayList<>(many);
        List<Layer> layers = build.faces().getFirst().face().layers();
        List<Id.Hole> holes = build.faces().stream()
                .flatMap(f -> f.face().groups().stream())
                .flatMap(g -> g.rows().stream())
                .flatMap(r -> r.holes().stream())
                .map(h -> h.id())
                .toList();
        for (int i = 0; i < many; i++) {
            marks.add(new Mark(
                    holes.get(i % holes.size()),
                    layers.getFirst().id(),
                    Mark.Side.BOTH,
                    Operation.values()[i / holes.size() % 4],
                    Instant.EPOCH.plusSeconds(i),
                    i / holes.size() % 8 < 4,
                    ""));
        }
        List<LogEntry> entries = new ArrayList<>();
        for (int i = 1; i <= ENTRIES; i++) {
            entries.add(LogEntry.Draft.install(labour()).numbered(i, Instant.EPOCH.plusSeconds(i)));
        }
        return Logbook.of(entries, marks);
    }

    /** Entries as format 4 had them: each sets five fasteners. */
    private List<LogEntry> fastenersSet() {
        List<Work.LoggedHole> holes = new ArrayList<>();
        build.faces().getFirst().face().groups().getFirst().rows().stream()
                .flatMap(r -> r.holes().stream())
                .limit(5)
                .forEach(h -> holes.add(new Work.LoggedHole(h.id(), "R1." + h.label())));
        Work work = new Work(
                build.faces().getFirst().face().groups().getFirst().id(),
                "G-1",
                holes,
                holes.size(),
                "MS20470AD3-3.5",
                Optional.empty(),
                "M. Oake",
                LocalDateTime.parse("2026-11-20T10:00"),
                30,
                Work.Setup.NONE,
                List.of(),
                List.of(),
                "",
                "",
                List.of());
        List<LogEntry> entries = new ArrayList<>();
        for (int i = 1; i <= ENTRIES; i++) {
            entries.add(LogEntry.Draft.install(work).numbered(i, Instant.EPOCH.plusSeconds(i)));
        }
        return entries;
    }

    private Labour labour() {
        return new Labour(
                new Labour.OnPart(build.parts().getFirst().id(), "Part", "deburr-edges"),
                "",
                "M. Oake",
                LocalDateTime.parse("2026-11-20T10:00"),
                5,
                "",
                "",
                List.of());
    }

    private double[] actions(Path path, int marks) {
        BuildFile.create(path, new Document(build, log(marks), List.of())).close();
        try (Session session =
                Session.open(path, Optional.empty(), catalogue, Clock.systemUTC(), Runnable::run, Runnable::run)) {
            List<HoleReading> holes =
                    session.snapshot().face(build.faces().getLast().face().id()).readings();
            double[] mark = new double[TIMES];
            double[] entry = new double[TIMES];
            double[] off = new double[TIMES];
            for (int i = 0; i < TIMES; i++) {
                HoleReading hole = holes.get(i);
                mark[i] = ms(() -> session.mark(
                        "marking",
                        List.of(new Mark(
                                hole.hole().id(),
                                hole.layers().getFirst().id(),
                                Mark.Side.BOTH,
                                Operation.PILOT,
                                Instant.now())),
                        "",
                        () -> {},
                        GrowthSpeed::refused));
                entry[i] = ms(
                        () -> session.log(LogEntry.Draft.install(labour()), List.of(), e -> {}, GrowthSpeed::refused));
                boolean on = i % 2 == 1;
                off[i] = ms(() -> session.plan(
                        "off",
                        b -> PartEdits.stands(
                                b,
                                session.snapshot().parts(),
                                b.parts().getFirst().id(),
                                on ? Standing.DRY : Standing.OFF),
                        () -> {},
                        GrowthSpeed::refused));
            }
            session.markParts(
                    "part",
                    List.of(new PartMark(build.parts().getFirst().id(), "clean", Instant.now())),
                    () -> {},
                    GrowthSpeed::refused);
            return new double[] {Median.of(mark), Median.of(entry), Median.of(off)};
        }
    }

    private static void refused(String sentence) {
        throw new IllegalStateException(sentence);
    }

    private static double ms(Runnable action) {
        long begun = System.nanoTime();
        action.run();
        return (System.nanoTime() - begun) / 1e6;
    }

    private void migration(Path path) throws IOException, SQLException {
        Logbook log = log(MARKS);
        BuildFile.create(path, new Document(build, Logbook.of(fastenersSet(), log.marks()), List.of()))
                .close();
        FormatFour.takeBack(path);
        double ms = ms(() -> BuildFile.open(path).close());
        try (DirectoryStream<Path> copies =
                Files.newDirectoryStream(path.getParent(), path.getFileName() + ".before-version-*")) {
            System.out.printf(
                    Locale.ROOT,
                    "format 4 with %d holes, %d marks and %d entries brought up to date in %.0f ms, copy kept: %b%n",
                    FACES * EACH,
                    MARKS,
                    ENTRIES,
                    ms,
                    copies.iterator().hasNext());
        }
    }
}
