package bucina.core.weight;

import bucina.core.measure.Length;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Ring;
import bucina.core.stack.Derivation;
import bucina.core.stack.HoleReading;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/*
 * Design. A part weighs what is drawn of it: the outlines of its sheets on all faces, less openings and holes. A web
 * or a flange that lies on no face is not in it; the scale says what that comes to.
 */

/**
 * What a part weighs by its drawing.
 *
 * @param part   which
 * @param area   of its sheets on all faces, less openings and holes, in²
 * @param gauge  that it was reckoned with: as measured where it was, else of its sheets
 * @param pounds empty where its alloy has no density here
 */
public record PartWeight(Part part, double area, List<Length> gauge, Optional<Double> pounds) {

    private static final double IN = 25.4e6;

    public PartWeight {
        gauge = List.copyOf(gauge);
    }

    /** Of every part of a build that has a sheet on a face, nut plates left out. */
    public static List<PartWeight> of(Derivation derivation) {
        Build build = derivation.build();
        Map<Id.Layer, Double> holes = new HashMap<>();
        Map<Id.Part, Map<Layer, Double>> sheets = new LinkedHashMap<>();
        for (Build.FaceRef ref : build.faces()) {
            Face face = ref.face();
            for (HoleReading hole : derivation.face(face.id()).readings()) {
                double d = hole.solution().hole().nanometres() / IN;
                hole.layers().forEach(l -> holes.merge(l.id(), Math.PI / 4 * d * d, Double::sum));
            }
            for (Layer layer : face.layers()) {
                sheets.computeIfAbsent(layer.part(), p -> new LinkedHashMap<>())
                        .put(layer, Math.max(0, area(layer.outline()) - holes.getOrDefault(layer.id(), 0.0)));
            }
        }
        List<PartWeight> all = new ArrayList<>();
        for (Part part : build.parts()) {
            Map<Layer, Double> own = sheets.getOrDefault(part.id(), Map.of());
            if (!own.isEmpty() && part.kind() != Part.Kind.NUT_PLATES) {
                all.add(of(part, own));
            }
        }
        return all;
    }

    private static PartWeight of(Part part, Map<Layer, Double> sheets) {
        double area = 0;
        double volume = 0;
        List<Length> gauges = new ArrayList<>();
        for (Map.Entry<Layer, Double> sheet : sheets.entrySet()) {
            Length gauge = part.particulars().measured().orElse(sheet.getKey().thickness());
            area += sheet.getValue();
            volume += sheet.getValue() * gauge.in();
            if (gauges.stream().noneMatch(gauge::same)) {
                gauges.add(gauge);
            }
        }
        double cubic = volume;
        return new PartWeight(part, area, gauges, Density.of(part.material()).map(d -> d * cubic));
    }

    /** Area of an outline less its openings, in². */
    private static double area(Outline outline) {
        double openings = outline.openings().stream()
                .mapToDouble(Ring::area)
                .map(Math::abs)
                .sum();
        return (Math.abs(outline.outer().area()) - openings) / IN / IN;
    }

    /** Sheet as it is sold, inches: standard gauges of 2024 and 6061 sheet. */
    private static final List<Length> SOLD = Stream.of(
                    .016, .020, .025, .032, .040, .050, .063, .071, .080, .090, .100, .125, .160, .190)
            .map(Length::in)
            .toList();

    /** The next heavier sheet that is sold; empty for a part of several gauges, and over the heaviest. */
    public Optional<Length> heavier() {
        return gauge.size() == 1
                ? SOLD.stream()
                        .filter(g -> g.minus(gauge.getFirst()).compareTo(Length.in(.002)) > 0)
                        .findFirst()
                : Optional.empty();
    }

    /** What it would weigh in another gauge, less what it weighs; empty where its alloy has no density here. */
    public Optional<Double> change(Length gauge) {
        return Density.of(part.material()).flatMap(d -> pounds.map(p -> d * area * gauge.in() - p));
    }
}
