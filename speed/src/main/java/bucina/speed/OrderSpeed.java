package bucina.speed;

import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.demo.Dunlin;
import bucina.core.evening.Tonight;
import bucina.core.hold.Holds;
import bucina.core.job.Jobs;
import bucina.core.log.Logbook;
import bucina.core.material.Material;
import bucina.core.order.OrderOfWork;
import bucina.core.plan.Assembly;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.plan.Standing;
import bucina.core.stack.Derivation;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** Jobs, order and evening of a whole aircraft, and how much is lost beside the bound and the order as drawn. */
public final class OrderSpeed {

    private static final int RUNS = 9;
    private static final LocalDate TODAY = LocalDate.parse("2026-11-28");

    private OrderSpeed() {}

    public static void main(String[] args) {
        Catalogue catalogue = CatalogueReader.shipped();
        show("the stabilator, nothing done", fresh(Dunlin.build(catalogue.rules())), catalogue);
        show("252 faces of 80 holes", aircraft(BigBuild.of(252, 80, catalogue.rules())), catalogue);
    }

    /** Every part at hand and none on. */
    private static Build fresh(Build build) {
        return build.withParts(
                build.parts().stream().map(p -> p.with(Standing.HERE)).toList(), build.nextId());
    }

    /** Each sheet of another part. */
    private static Build aircraft(Build build) {
        List<Part> parts = new ArrayList<>();
        long next = build.nextId();
        List<Assembly> assemblies = new ArrayList<>();
        for (Assembly assembly : build.assemblies()) {
            List<Face> faces = new ArrayList<>();
            for (Face face : assembly.faces()) {
                List<Layer> layers = new ArrayList<>();
                for (Layer layer : face.layers()) {
                    Id.Part id = new Id.Part(next++);
                    parts.add(new Part(
                                    id,
                                    face.name() + " " + layer.name() + " " + id.n(),
                                    Material.parse("2024-T3"),
                                    parts.size(),
                                    false)
                            .with(Standing.HERE));
                    layers.add(layer.of(id));
                }
                faces.add(face.withLayers(layers));
            }
            assemblies.add(assembly.withFaces(faces));
        }
        return build.withParts(parts, next).withAssemblies(assemblies, next).checked();
    }

    /** A part goes on at another time: how long until the new order is there, in ms. */
    private static double moved(Build build, Derivation derivation, Jobs jobs, OrderOfWork order) {
        double[] times = new double[RUNS];
        for (int i = 0; i < RUNS; i++) {
            Part part = build.parts().get(build.parts().size() / 2);
            long start = System.nanoTime();
            Derivation next = derivation.after(build.with(part.withFittingOrder(i)));
            Jobs again = Jobs.of(Optional.of(jobs), next, Logbook.EMPTY, new Holds(next, Logbook.EMPTY), TODAY);
            OrderOfWork.of(again, j -> true, Optional.of(order), jobs);
            times[i] = (System.nanoTime() - start) / 1e6;
        }
        Arrays.sort(times);
        return times[RUNS / 2];
    }

    private static void show(String name, Build build, Catalogue catalogue) {
        Derivation derivation = Derivation.of(build, catalogue);
        Holds holds = new Holds(derivation, Logbook.EMPTY);
        double[][] times = new double[3][RUNS];
        Jobs jobs = Jobs.of(derivation, Logbook.EMPTY, holds, TODAY);
        OrderOfWork order = OrderOfWork.of(jobs, j -> true);
        for (int i = 0; i < RUNS; i++) {
            long start = System.nanoTime();
            jobs = Jobs.of(derivation, Logbook.EMPTY, holds, TODAY);
            long listed = System.nanoTime();
            order = OrderOfWork.of(jobs, j -> true);
            long ordered = System.nanoTime();
            Tonight.of(jobs, order, derivation, Logbook.EMPTY, 2.5, true);
            times[0][i] = (listed - start) / 1e6;
            times[1][i] = (ordered - listed) / 1e6;
            times[2][i] = (System.nanoTime() - ordered) / 1e6;
        }
        Arrays.stream(times).forEach(Arrays::sort);
        System.gc();
        long used = (Runtime.getRuntime().totalMemory() - Runtime.getRuntime().freeMemory()) / 1_000_000;
        System.out.printf(
                Locale.ROOT,
                "%s: %d parts, %d jobs, %d demands; jobs %.0f ms, order %.0f ms, tonight %.0f ms, %d MB in use%n"
                        + "  lost %.1f min, bound %.1f (%.2f), as drawn %.1f (%.2f of it)%n",
                name,
                build.parts().size(),
                jobs.size(),
                jobs.demands(),
                times[0][RUNS / 2],
                times[1][RUNS / 2],
                times[2][RUNS / 2],
                used,
                order.lost(),
                order.bound(),
                order.lost() / order.bound(),
                order.asDrawn(),
                order.lost() / order.asDrawn());
        System.out.printf(
                Locale.ROOT,
                "  a part that goes on at another time: new order after %.0f ms%n",
                moved(build, derivation, jobs, order));
    }
}
