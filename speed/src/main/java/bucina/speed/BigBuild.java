package bucina.speed;

import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.dress.Preparation;
import bucina.core.edit.HoleEdits;
import bucina.core.log.Labour;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.log.Operation;
import bucina.core.material.Material;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.plan.Assembly;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.plan.Fastener;
import bucina.core.plan.Group;
import bucina.core.plan.Hand;
import bucina.core.plan.Hole;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.plan.Row;
import bucina.core.progress.Task;
import bucina.core.rivet.HeadStyle;
import bucina.core.rule.RuleSet;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import bucina.core.sheet.Ring;
import bucina.core.stack.Derivation;
import bucina.core.stack.HoleReading;
import bucina.desk.session.Desk;
import bucina.desk.session.Prefs;
import bucina.desk.session.Session;
import bucina.store.Document;
import bucina.store.file.BuildFile;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Executor;
import java.util.function.UnaryOperator;

/**
 * Builds of any size: faces with a skin, a cut-out, ribs each inch and a half, two spars and a doubler; rows of holes
 * along the ribs.
 */
final class BigBuild {

    private final List<Part> parts = new ArrayList<>();
    private long next = 1;

    /** A build of so many faces with so many holes each, each sheet a part of its own. */
    static Build of(int faces, int holesEach, RuleSet rules) {
        return new BigBuild().build(faces, holesEach, rules);
    }

    /** The first half of each face brought to where fasteners are set; the rest is not drilled. */
    private static Logbook ready(Build build, Catalogue catalogue) {
        Derivation derivation = Derivation.of(build, catalogue);
        Logbook log = Logbook.EMPTY;
        for (Operation step :
                List.of(Operation.FINAL_SIZE, Operation.DEBURRED, Operation.DIMPLED, Operation.COUNTERSUNK)) {
            for (Build.FaceRef ref : build.faces()) {
                List<HoleReading> holes = derivation.face(ref.face().id()).readings();
                log = log.plus(Task.of(step).marks(log, holes.subList(0, holes.size() / 2), true, Instant.EPOCH));
            }
        }
        return log;
    }

    /**
     * A desk with such a build open from a fresh file, ready to be riveted; what comes back from the worker goes
     * through {@code ui}.
     */
    static Desk desk(int faces, int holesEach, Executor worker, Executor ui) {
        return desk(faces, holesEach, 0, worker, ui);
    }

    /**
     * As {@link #desk(int, int, Executor, Executor)}, with evenings of work behind it.
     *
     * @param evenings on which six things were logged each, one evening every other day
     */
    static Desk desk(int faces, int holesEach, int evenings, Executor worker, Executor ui) {
        try {
            Path file = Files.createTempDirectory("bucina-speed").resolve("big.bucina");
            Catalogue catalogue = CatalogueReader.shipped();
            Build build = of(faces, holesEach, catalogue.rules());
            Logbook log = ready(build, catalogue);
            for (int i = 0; i < 6 * evenings; i++) {
                LocalDateTime at = LocalDateTime.parse("2024-11-20T19:00")
                        .plusDays(i / 6 * 3L / 2)
                        .plusMinutes(i % 6 * 25L);
                log = log.plus(LogEntry.Draft.install(labour(build, at)).numbered(i + 1, at.toInstant(ZoneOffset.UTC)));
            }
            BuildFile.create(file, new Document(build, log, List.of())).close();
            return new Desk(
                    Session.open(file, Optional.empty(), catalogue, Clock.systemUTC(), worker, ui),
                    Prefs.in(file.getParent()));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Labour labour(Build build, LocalDateTime at) {
        return new Labour(
                new Labour.OnPart(build.parts().getFirst().id(), "Part", "deburr-edges"),
                "",
                "M. Oake",
                at,
                20,
                "",
                "",
                List.of());
    }

    /** A desk with one face of so many holes, the last {@code inRow} of them one row across the ribs. */
    static Desk longRow(int holes, int inRow, Executor worker, Executor ui) {
        return desk(
                build -> {
                    Face face = build.faces().getFirst().face();
                    Group ribs = face.groups().getFirst();
                    double width = face.layers().getFirst().outline().box().width();
                    List<Point> points = new ArrayList<>();
                    for (int i = 0; i < inRow; i++) {
                        points.add(new Point(2e6 + i * (width - 4e6) / (inRow - 1), 1.55 * 25.4e6));
                    }
                    return HoleEdits.addRow(build, ribs.id(), points);
                },
                holes - inRow,
                worker,
                ui);
    }

    private static Desk desk(UnaryOperator<Build> more, int holes, Executor worker, Executor ui) {
        try {
            Path file = Files.createTempDirectory("bucina-speed").resolve("long.bucina");
            Catalogue catalogue = CatalogueReader.shipped();
            BuildFile.create(file, new Document(more.apply(of(1, holes, catalogue.rules())), Logbook.EMPTY, List.of()))
                    .close();
            return new Desk(
                    Session.open(file, Optional.empty(), catalogue, Clock.systemUTC(), worker, ui),
                    Prefs.in(file.getParent()));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private Build build(int faces, int holesEach, RuleSet rules) {
        List<Face> list = new ArrayList<>();
        for (int f = 0; f < faces; f++) {
            list.add(face(f, holesEach));
        }
        Assembly assembly = new Assembly(new Id.Assembly(next++), "Big", Hand.LEFT, Unit.INCH, List.of(), list);
        return new Build("Big", "Dunlin", rules, next, parts, List.of(assembly), Map.of()).checked();
    }

    private Layer layer(int face, String name, double t, Outline outline) {
        Part part = new Part(new Id.Part(next++), name + " of " + face, Material.parse("2024-T3"), 1, true);
        parts.add(part);
        return new Layer(new Id.Layer(next++), part.id(), name, Length.in(t), outline);
    }

    private Face face(int f, int holes) {
        int rows = Math.max(1, (int) Math.sqrt(holes / 2.0));
        int inRow = Math.ceilDiv(holes, rows);
        double width = rows * 1.5 + 1;
        double height = inRow * 1.1 + 2;
        List<Layer> layers = new ArrayList<>();
        layers.add(layer(
                f,
                "Skin",
                .025,
                new Outline(
                        Outline.rectangle(Point.in(0, 0), Point.in(width, height))
                                .outer(),
                        List.of(Ring.circle(Point.in(width / 2 + .75, height / 2), Length.in(.3))))));
        layers.add(layer(f, "Doubler", .040, Outline.rectangle(Point.in(.2, .2), Point.in(width * .4, height * .3))));
        for (int r = 0; r < rows; r++) {
            double x = 1 + r * 1.5;
            layers.add(layer(
                    f, "Rib " + r, .032, Outline.rectangle(Point.in(x - .32, .1), Point.in(x + .32, height - .1))));
        }
        List<Row> list = new ArrayList<>();
        int left = holes;
        for (int r = 0; r < rows; r++) {
            List<Hole> row = new ArrayList<>();
            for (int i = 0; i < inRow && left > 0; i++, left--) {
                row.add(new Hole(new Id.Hole(next++), i + 1, Point.in(1 + r * 1.5, 1 + i * 1.1), Optional.empty()));
            }
            list.add(new Row(new Id.Row(next++), "R" + (r + 1), row.size() + 1, row));
        }
        Group group = new Group(
                new Id.Group(next++),
                "G-" + f,
                "Ribs",
                new Fastener.SolidRivet(HeadStyle.FLUSH, "AD", 3),
                false,
                Preparation.AUTO,
                "",
                list,
                Optional.empty(),
                Set.of(),
                Set.of());
        return new Face(new Id.Face(next++), "Face " + f, "from above", "outboard", "forward", layers, List.of(group));
    }
}
