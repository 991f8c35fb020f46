package bucina.core.weight;

import bucina.core.bolt.BoltThread;
import bucina.core.callout.Callout;
import bucina.core.catalogue.Catalogue;
import bucina.core.log.Used;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.plan.Build;
import bucina.core.plan.Fastener;
import bucina.core.plan.Group;
import bucina.core.rivet.RivetDesignation;
import bucina.core.rule.PrimeSchool;
import bucina.core.stack.Derivation;
import bucina.core.stack.GroupSummary;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * What the planned structure weighs.
 *
 * @param parts     each part by its drawing
 * @param fasteners pounds, of those that can be weighed by their shape
 * @param primer    pounds, typical: .001 in dry on both sides of what is primed
 * @param without   fasteners that are not in it, with how many
 */
public record BuildWeight(List<PartWeight> parts, double fasteners, double primer, Map<String, Integer> without) {

    /** Dry primer, lb/in³, typical. */
    private static final double PRIMER = .05;

    private static final double FILM = .001;

    public BuildWeight {
        parts = List.copyOf(parts);
        without = Map.copyOf(without);
    }

    /** Of a whole build. */
    public static BuildWeight of(Derivation derivation) {
        double fasteners = 0;
        Map<String, Integer> without = new TreeMap<>();
        for (Build.FaceRef ref : derivation.build().faces()) {
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
        List<PartWeight> parts = new ArrayList<>(PartWeight.of(derivation));
        boolean primed = derivation.build().rules().primeSchool() == PrimeSchool.ALL;
        double area = parts.stream().mapToDouble(PartWeight::area).sum();
        return new BuildWeight(parts, fasteners, primed ? 2 * area * FILM * PRIMER : 0, without);
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
