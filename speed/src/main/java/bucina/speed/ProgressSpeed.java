package bucina.speed;

import bucina.core.batch.Mating;
import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.edit.Edit;
import bucina.core.hold.Holds;
import bucina.core.log.Logbook;
import bucina.core.log.Operation;
import bucina.core.measure.Length;
import bucina.core.plan.Assembly;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.plan.Tool;
import bucina.core.progress.FaceClecos;
import bucina.core.progress.FaceLocate;
import bucina.core.progress.Task;
import bucina.core.reach.Reach;
import bucina.core.reach.ToolCrib;
import bucina.core.refit.OtherWays;
import bucina.core.stack.Derivation;
import bucina.core.state.Snapshot;
import bucina.desk.session.Progress;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** Clecos, reach and progress of a whole aircraft: 40 faces of 500 holes. */
final class ProgressSpeed {

    private static final int RUNS = 9;

    private ProgressSpeed() {}

    private static int tick;

    public static void main(String[] args) {
        Catalogue catalogue = CatalogueReader.shipped();
        Build build = BigBuild.of(40, 500, catalogue.rules());
        Derivation derivation = Derivation.of(build, catalogue);
        Holds holds = new Holds(build);
        List<Tool> crib = ToolCrib.of(build, catalogue);
        System.out.println("40 faces of 500 holes: ms, median and most of " + RUNS + " after one to warm up");
        faces(build, derivation, holds, catalogue, crib);
        Build.FaceRef one = build.faces().getFirst();
        Layer moved = one.face().layers().getLast();
        moved(build, moved, derivation, one, catalogue, crib);
        Task task = Task.of(Operation.DEBURRED);
        Logbook log = Logbook.EMPTY;
        for (Build.FaceRef f : build.faces()) {
            log = log.plus(task.marks(log, derivation.face(f.face().id()).readings(), true, Instant.EPOCH));
        }
        Logbook marked = log;
        System.out.println(marked.marks().size() + " marks");
        Build.FaceRef first = build.faces().getFirst();
        Snapshot counted = Snapshot.of(derivation, marked);
        Derivation parted = Derivation.of(parted(build), catalogue);
        marked(parted, derivation, first, counted, catalogue, task, marked);
    }

    private static void marked(
            Derivation parted,
            Derivation derivation,
            Build.FaceRef first,
            Snapshot counted,
            Catalogue catalogue,
            Task task,
            Logbook marked) {
        time(
                "parts that go back more than one way, a part a sheet",
                () -> OtherWays.of(parted, parted.build().assemblies().getFirst()));
        time(
                "progress of one face counted",
                () -> Progress.of(derivation.face(first.face().id()), counted, catalogue, task, Optional.empty()));
        time(
                "one row marked more",
                () -> marked.plus(Task.of(Operation.DIMPLED)
                        .marks(
                                marked,
                                derivation.face(first.face().id()).readings().subList(0, 20),
                                true,
                                Instant.EPOCH)));
    }

    private static void moved(
            Build build, Layer moved, Derivation derivation, Build.FaceRef one, Catalogue catalogue, List<Tool> crib) {
        time("a sheet moved: derived, clecos and reach of its face again", () -> {
            Build after = Edit.layer(build, moved.id(), l -> l.withThickness(Length.in(.032 + .001 * (tick++ % 9))));
            var face = derivation.after(after).face(one.face().id());
            FaceClecos.of(
                    face,
                    Logbook.EMPTY,
                    new Holds(after),
                    catalogue.clecos(),
                    Map.of("cleco 3/32", 60),
                    Optional.empty(),
                    2);
            Reach.of(face, after, crib);
        });
    }

    private static void faces(Build build, Derivation derivation, Holds holds, Catalogue catalogue, List<Tool> crib) {
        time(
                "cleco progression of every row",
                () -> build.faces()
                        .forEach(f -> FaceClecos.of(
                                derivation.face(f.face().id()),
                                Logbook.EMPTY,
                                holds,
                                catalogue.clecos(),
                                Map.of("cleco 3/32", 60),
                                Optional.empty(),
                                2)));
        time(
                "reach of every hole, every work",
                () -> build.faces()
                        .forEach(f -> Reach.of(derivation.face(f.face().id()), build, crib)));
        time(
                "clecos that locate every face",
                () -> build.faces()
                        .forEach(f -> FaceLocate.of(
                                derivation.face(f.face().id()),
                                Logbook.EMPTY,
                                catalogue.clecos(),
                                Map.of(),
                                Optional.empty())));
        time(
                "surfaces that touch, every face",
                () -> build.faces()
                        .forEach(f -> Mating.of(derivation.face(f.face().id()))));
    }

    /** The build with a part for every sheet. */
    private static Build parted(Build build) {
        List<Part> parts = new ArrayList<>();
        long next = build.nextId();
        List<Assembly> assemblies = new ArrayList<>();
        for (Assembly a : build.assemblies()) {
            List<Face> faces = new ArrayList<>();
            for (Face f : a.faces()) {
                next = layers(f, next, build, parts, faces);
            }
            assemblies.add(a.withFaces(faces));
        }
        return build.withParts(parts, next).withAssemblies(assemblies, next).checked();
    }

    private static long layers(Face f, long next, Build build, List<Part> parts, List<Face> faces) {
        List<Layer> layers = new ArrayList<>();
        for (Layer l : f.layers()) {
            Part part = new Part(
                    new Id.Part(next++),
                    "Part " + next,
                    build.parts().getFirst().material(),
                    1,
                    true);
            parts.add(part);
            layers.add(new Layer(l.id(), part.id(), l.name(), l.thickness(), l.outline()));
        }
        faces.add(f.withLayers(layers));
        return next;
    }

    private static void time(String name, Runnable work) {
        double[] times = new double[RUNS];
        work.run();
        for (int i = 0; i < RUNS; i++) {
            long start = System.nanoTime();
            work.run();
            times[i] = (System.nanoTime() - start) / 1e6;
        }
        Arrays.sort(times);
        System.out.printf(Locale.ROOT, "  %-50s %8.1f %8.1f%n", name, times[RUNS / 2], times[RUNS - 1]);
    }
}
