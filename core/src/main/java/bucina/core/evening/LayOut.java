package bucina.core.evening;

import bucina.core.cleco.ClecoSize;
import bucina.core.job.Job;
import bucina.core.job.Op;
import bucina.core.plan.Id;
import bucina.core.stack.Derivation;
import bucina.core.stack.HoleReading;
import bucina.core.stack.Solution;
import bucina.core.stores.Companions;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.TreeSet;

/**
 * What to lay out before the first job.
 *
 * @param tools      by name
 * @param dies       dies, sets, cutters and noses
 * @param drills     by name
 * @param fasteners  by designation, one for each hole that is set
 * @param clecos     by size, for the parts that go on
 * @param hardware   the rest: nuts, washers and what is cut first, with how many
 */
public record LayOut(
        List<String> tools,
        List<String> dies,
        List<String> drills,
        Map<String, Integer> fasteners,
        Map<String, Integer> clecos,
        Map<String, Integer> hardware) {

    /** Of the jobs of an evening. */
    static LayOut of(List<Tonight.Stint> stints, Derivation derivation) {
        TreeSet<String> tools = new TreeSet<>();
        TreeSet<String> dies = new TreeSet<>();
        TreeSet<String> drills = new TreeSet<>();
        Map<String, Integer> fasteners = new TreeMap<>();
        Map<String, Integer> clecos = new TreeMap<>();
        Map<String, Integer> hardware = new TreeMap<>();
        for (Tonight.Stint stint : stints) {
            Job job = stint.job();
            if (!job.setup().tool().isEmpty()) {
                tools.add(job.setup().tool());
            }
            if (job.setup().tool().equals("drill")) {
                drills.add(job.setup().die());
            } else if (!job.setup().items().isEmpty()) {
                dies.add(job.setup().die());
            }
            if (job.op() == Op.SET) {
                set(stint, derivation, fasteners, hardware);
            }
            if (job.op() == Op.FIT || job.op() == Op.ON) {
                clecoed(job, derivation).forEach((size, n) -> clecos.merge(size, n, Integer::sum));
            }
        }
        return new LayOut(List.copyOf(tools), List.copyOf(dies), List.copyOf(drills), fasteners, clecos, hardware);
    }

    private static void set(
            Tonight.Stint stint, Derivation derivation, Map<String, Integer> fasteners, Map<String, Integer> hardware) {
        Job.Place place = stint.job().place().orElseThrow();
        if (place.row().isEmpty()) {
            String what = derivation
                    .typed(place.group().id())
                    .flatMap(Solution::designation)
                    .orElse(place.group().fastener().name());
            fasteners.merge(what, stint.count(), Integer::sum);
            return;
        }
        for (HoleReading hole : stint.holes()) {
            fasteners.merge(hole.solution().designation().orElse("none"), 1, Integer::sum);
            Companions.of(hole.solution()).forEach((what, n) -> hardware.merge(what, n, Integer::sum));
            if (hole.solution().cut()) {
                hardware.merge("rivet cutter: cut to " + hole.solution().dash(), 1, Integer::sum);
            }
        }
    }

    /** A fourth of the part's open holes, by the size of cleco that fits. */
    private static Map<String, Integer> clecoed(Job job, Derivation derivation) {
        Id.Part part = job.part().orElseThrow().id();
        Map<String, Integer> open = new LinkedHashMap<>();
        List<HoleReading> through = new ArrayList<>();
        derivation.build().faces().stream()
                .filter(f -> f.face().layers().stream().anyMatch(l -> l.part().equals(part)))
                .forEach(f -> derivation.face(f.face().id()).readings().stream()
                        .filter(r -> r.layers().stream().anyMatch(l -> l.part().equals(part)))
                        .forEach(through::add));
        for (HoleReading hole : through) {
            Optional<ClecoSize> size = ClecoSize.of(
                    derivation.catalogue().clecos(), hole.solution().hole());
            size.ifPresent(s -> open.merge(s.name(), 1, Integer::sum));
        }
        open.replaceAll((size, n) -> (n + 3) / 4);
        return open;
    }
}
