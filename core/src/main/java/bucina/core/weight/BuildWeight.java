package bucina.core.weight;

import bucina.core.bolt.BoltThread;
import bucina.core.bolt.Washer;
import bucina.core.callout.Callout;
import bucina.core.catalogue.Catalogue;
import bucina.core.log.Used;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.plan.Build;
import bucina.core.plan.Fastener;
import bucina.core.plan.Group;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.rivet.RivetDesignation;
import bucina.core.rule.PrimeSchool;
import bucina.core.stack.Bolted;
import bucina.core.stack.Derivation;
import bucina.core.stack.GroupSummary;
import bucina.core.stack.HoleReading;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What the planned structure weighs.
 *
 * @param parts     each part by its drawing
 * @param fasteners pounds, of those that can be weighed by their shape, nuts and washers of bolts with them
 * @param larger    pounds that large-area washers in place of the others would add; 0 without bolts
 * @param primer    pounds, typical: .001 in dry on both sides of what is primed
 * @param without   fasteners that are not in it, with how many
 */
public record BuildWeight(
        List<PartWeight> parts, double fasteners, double larger, double primer, Map<String, Integer> without) {

    /** Dry primer, lb/in³, typical. */
    private static final double PRIMER = .05;

    private static final double FILM = .001;

    private static final String LARGE = "large-area";
    private static final double[] NOTHING = {0, 0};

    public BuildWeight {
        parts = List.copyOf(parts);
        without = Map.copyOf(without);
    }

    /** Of a whole build. */
    public static BuildWeight of(Derivation derivation) {
        return of(derivation, ref -> true);
    }

    /** Of some faces of a build: parts that lie on one of them, and their fasteners. */
    public static BuildWeight of(Derivation derivation, Predicate<Build.FaceRef> some) {
        double fasteners = 0;
        double larger = 0;
        Map<String, Integer> without = new TreeMap<>();
        for (Build.FaceRef ref :
                derivation.build().faces().stream().filter(some).toList()) {
            for (HoleReading hole : derivation.face(ref.face().id()).readings()) {
                double[] bolt = hole.solution()
                        .bolt()
                        .map(b -> with(b, derivation.catalogue().washers()))
                        .orElse(NOTHING);
                fasteners += bolt[0];
                larger += bolt[1];
            }
            for (Group group : ref.face().groups()) {
                for (Map.Entry<String, Integer> each : GroupSummary.of(derivation, ref.face(), group)
                        .designations()
                        .entrySet()) {
                    String name = each.getKey().replace(" cut", "");
                    Optional<Double> one = fastener(derivation.catalogue(), name);
                    fasteners += one.orElse(0.0) * each.getValue();
                    if (one.isEmpty()) {
                        without.merge(name, each.getValue(), Integer::sum);
                    }
                }
            }
        }
        Set<Id.Part> here = derivation.build().faces().stream()
                .filter(some)
                .flatMap(ref -> ref.face().layers().stream())
                .map(Layer::part)
                .collect(Collectors.toSet());
        List<PartWeight> parts = PartWeight.of(derivation).stream()
                .filter(w -> here.contains(w.part().id()))
                .toList();
        boolean primed = derivation.build().rules().primeSchool() == PrimeSchool.ALL;
        double area = parts.stream().mapToDouble(PartWeight::area).sum();
        return new BuildWeight(parts, fasteners, larger, primed ? 2 * area * FILM * PRIMER : 0, without);
    }

    /** What goes on with one bolt, and what large-area washers in place of its own would add; pounds. */
    private static double[] with(Bolted bolt, List<Washer> kinds) {
        double nut = bolt.nut().map(n -> FastenerWeight.nut(bolt.thread(), n)).orElse(0.0);
        List<Washer> washers = bolt.fit()
                .map(f -> Stream.concat(f.underHead().stream(), f.underNut().stream())
                        .toList())
                .orElse(List.of());
        double own = washers.stream()
                .mapToDouble(w -> FastenerWeight.washer(bolt.thread(), w))
                .sum();
        double large = kinds.stream()
                .filter(w -> w.name().equals(LARGE))
                .mapToDouble(w -> FastenerWeight.washer(bolt.thread(), w))
                .sum();
        return new double[] {nut + own, washers.size() * large - own};
    }

    /** One of a designation, pounds; empty where its shape is not known. */
    public static Optional<Double> fastener(Catalogue catalogue, String name) {
        for (BoltThread thread : catalogue.bolts()) {
            Optional<BoltThread.Bolt> bolt = thread.bolts().stream()
                    .filter(b -> b.designation().equalsIgnoreCase(name.replaceAll("A$", "")))
                    .findFirst();
            if (bolt.isPresent()) {
                return Optional.of(FastenerWeight.bolt(thread, bolt.get()));
            }
        }
        Optional<Double> pulled = pulled(catalogue, name);
        if (pulled.isPresent()) {
            return pulled;
        }
        try {
            RivetDesignation rivet = RivetDesignation.parse(name);
            return catalogue
                    .rivet(rivet.head(), rivet.diameter())
                    .map(size -> FastenerWeight.rivet(size, rivet.nominalLength()));
        } catch (InputException e) {
            return Optional.empty();
        }
    }

    private static Optional<Double> pulled(Catalogue catalogue, String name) {
        try {
            if (Callout.parse(name).fastener() instanceof Fastener.PulledRivet rivet) {
                Optional<Length> length = Used.parse(rivet, name).length();
                return catalogue.pulled().stream()
                        .filter(s -> s.family().equals(rivet.family())
                                && s.diameter().same(rivet.diameter()))
                        .findFirst()
                        .flatMap(s -> length.map(l -> FastenerWeight.pulled(s, l, rivet.stainless())));
            }
            return Optional.empty();
        } catch (InputException e) {
            return Optional.empty();
        }
    }

    /** Everything that is in it, pounds. */
    public double total() {
        return parts.stream()
                        .flatMap(p -> p.pounds().stream())
                        .mapToDouble(p -> p)
                        .sum()
                + fasteners
                + primer;
    }
}
