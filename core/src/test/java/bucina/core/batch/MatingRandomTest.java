package bucina.core.batch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import bucina.core.Plans;
import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.measure.Length;
import bucina.core.plan.Face;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import bucina.core.sheet.Ring;
import bucina.core.stack.Derivation;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Where sheets touch, counted again on a fine grid of points for random faces. */
class MatingRandomTest {

    private static final double CELL = .05;
    private final Catalogue catalogue = CatalogueReader.shipped();
    private final Random random = new Random(67);

    private Layer sheet(long id) {
        double x = random.nextInt(10);
        double y = random.nextInt(4) / 2.0;
        Outline outline =
                switch (random.nextInt(3)) {
                    case 0 -> Outline.of(Ring.circle(Point.in(x + 3, y + 1), Length.in(.5 + random.nextDouble() * 2)));
                    case 1 ->
                        new Outline(
                                Outline.rectangle(Point.in(x, y), Point.in(x + 7, y + 2))
                                        .outer(),
                                List.of(Ring.circle(Point.in(x + 3, y + 1), Length.in(.4 + random.nextDouble() * .4))));
                    default ->
                        Outline.rectangle(
                                Point.in(x, y), Point.in(x + 2 + random.nextInt(9), y + .5 + random.nextDouble() * 3));
                };
        return new Layer(new Id.Layer(id), new Id.Part(1), "Sheet " + id, Length.in(.032), outline);
    }

    private FaceReading face() {
        List<Layer> layers = new ArrayList<>();
        for (int i = 0; i < 2 + random.nextInt(5); i++) {
            layers.add(sheet(50 + i));
        }
        Face face = Plans.face(
                layers,
                List.of(Plans.group(
                        20,
                        "G-1",
                        random.nextBoolean() ? Plans.UNIVERSAL : Plans.FLUSH,
                        List.of(Plans.row(1000, "R1", 1.1, 17)))));
        return Derivation.of(Plans.build(face), catalogue).face(face.id());
    }

    private static String key(Layer near, Layer far) {
        return near.name() + " on " + far.name();
    }

    @Test
    void areas_and_holes_are_those_a_grid_of_points_and_the_stacks_give() {
        int pairs = 0;
        for (int i = 0; i < 120; i++) {
            FaceReading face = face();
            Map<String, Double> counted = new HashMap<>();
            count(face, counted);
            Map<String, Mating> found = new HashMap<>();
            Mating.of(face)
                    .forEach(m ->
                            assertThat(found.put(key(m.near(), m.far()), m)).isNull());
            counted.forEach((name, area) -> assertThat(area < .3 || found.containsKey(name))
                    .as(name + " " + area)
                    .isTrue());
            for (Map.Entry<String, Mating> m : found.entrySet()) {
                double area = m.getValue().area() / (25.4e6 * 25.4e6);
                assertThat(counted.getOrDefault(m.getKey(), 0.0))
                        .as(m.getKey())
                        .isCloseTo(area, within(.1 + .05 * area));
                holes(m, face);
                pairs++;
            }
        }
        assertThat(pairs).isGreaterThan(200);
    }

    private static void holes(Map.Entry<String, Mating> m, FaceReading face) {
        Set<String> holes = new HashSet<>(
                m.getValue().holes().stream().map(HoleReading::label).toList());
        for (HoleReading r : face.readings()) {
            List<Layer> there = face.face().layers().stream()
                    .filter(l -> l.outline().covers(r.hole().at()))
                    .toList();
            int at = there.indexOf(m.getValue().near());
            boolean through = at >= 0
                    && at + 1 < there.size()
                    && there.get(at + 1).id().equals(m.getValue().far().id());
            assertThat(holes.contains(r.label()))
                    .as(m.getKey() + " " + r.label())
                    .isEqualTo(through);
        }
    }

    private static void count(FaceReading face, Map<String, Double> counted) {
        for (double x = CELL / 2; x < 22; x += CELL) {
            for (double y = -2 + CELL / 2; y < 6; y += CELL) {
                Point p = Point.in(x, y);
                Layer above = null;
                for (Layer l : face.face().layers()) {
                    if (l.outline().covers(p)) {
                        if (above != null) {
                            counted.merge(key(above, l), CELL * CELL, Double::sum);
                        }
                        above = l;
                    }
                }
            }
        }
    }
}
