package bucina.core.stack;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import bucina.core.Plans;
import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.demo.Dunlin;
import bucina.core.measure.Length;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Row;
import bucina.core.sheet.Box;
import bucina.core.sheet.Corner;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import bucina.core.sheet.Ring;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Faces as large as they come, and random edits of a real one. */
class BigFaceTest {

    private final Catalogue catalogue = CatalogueReader.shipped();

    private Build big() {
        List<Row> rows = IntStream.range(0, 263)
                .mapToObj(r -> Plans.row(1000 + r * 100L, "R" + (r + 1), 1.6 + r * .003, 19))
                .toList();
        Face face = Plans.face(Plans.layers(8.5), List.of(Plans.group(20, "G-1", Plans.UNIVERSAL, rows)));
        return Plans.build(face);
    }

    @Test
    void a_face_carries_five_thousand_holes_and_finds_each_where_it_is() {
        Build build = big();
        Face face = build.faces().getFirst().face();
        FaceReading reading = Derivation.of(build, catalogue).face(face.id());
        assertThat(reading.size()).isEqualTo(4997);
        for (int i = 0; i < reading.size(); i += 97) {
            Point at = reading.reading(i).hole().at();
            assertThat(reading.in(Box.around(at, at))).contains(i);
            assertThat(reading.of(reading.reading(i).hole().id()).orElseThrow()).isSameAs(reading.reading(i));
        }
    }

    @Test
    void holes_alike_share_one_solution() {
        Build build = big();
        FaceReading reading = Derivation.of(build, catalogue)
                .face(build.faces().getFirst().face().id());
        long different = reading.readings().stream()
                .map(r -> System.identityHashCode(r.solution()))
                .distinct()
                .count();
        assertThat(different).isLessThanOrEqualTo(4);
    }

    @Test
    void an_edge_distance_in_the_reading_is_that_of_the_outline() {
        Build build = big();
        FaceReading reading = Derivation.of(build, catalogue)
                .face(build.faces().getFirst().face().id());
        for (int i = 0; i < reading.size(); i += 31) {
            HoleReading hole = reading.reading(i);
            for (int k = 0; k < hole.layers().size(); k++) {
                Box box = hole.layers().get(k).outline().box();
                Point at = hole.hole().at();
                double brute = Math.min(
                        Math.min(at.x() - box.minX(), box.maxX() - at.x()),
                        Math.min(at.y() - box.minY(), box.maxY() - at.y()));
                assertThat(hole.edge(k).nanometres()).isCloseTo(brute, within(1e-3));
            }
        }
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3})
    void random_edits_of_layers_agree_with_a_full_derive(long seed) {
        Random random = new Random(seed);
        Build build = Dunlin.build(catalogue.rules());
        Derivation derivation = Derivation.of(build, catalogue);
        for (int step = 0; step < 40; step++) {
            Face face = build.faces().get(random.nextInt(4)).face();
            Face changed = edit(face, random);
            build = build.with(changed, build.nextId() + 1);
            derivation = derivation.after(build);
            List<HoleReading> incremental = derivation.face(face.id()).readings();
            List<HoleReading> full =
                    Derivation.of(build, catalogue).face(face.id()).readings();
            for (int i = 0; i < full.size(); i++) {
                assertThat(incremental.get(i).same(full.get(i)))
                        .as("step %d, %s", step, full.get(i).label())
                        .isTrue();
            }
        }
    }

    /** Moves, bends, thickens, removes or adds a layer. */
    private static Face edit(Face face, Random random) {
        List<Layer> layers = new ArrayList<>(face.layers());
        int at = random.nextInt(layers.size());
        Layer old = layers.get(at);
        switch (random.nextInt(4)) {
            case 0 ->
                layers.set(
                        at,
                        old.withOutline(moved(
                                old.outline(),
                                random.nextGaussian() * 2e7,
                                random.nextGaussian() * 1e7,
                                random.nextDouble() * .3)));
            case 1 ->
                layers.set(
                        at,
                        new Layer(
                                old.id(),
                                old.part(),
                                old.name(),
                                Length.in(.02 + random.nextInt(40) / 1000.0),
                                old.outline()));
            case 2 -> {
                if (layers.size() > 3) {
                    layers.remove(at);
                }
            }
            default ->
                layers.add(
                        at,
                        new Layer(
                                new Id.Layer(1_000_000 + random.nextInt(1_000_000)),
                                old.part(),
                                "New",
                                Length.in(.032),
                                moved(old.outline(), 5e6, 5e6, 0)));
        }
        return new Face(face.id(), face.name(), face.viewed(), face.xToward(), face.yToward(), layers, face.groups());
    }

    private static Outline moved(Outline outline, double dx, double dy, double bulge) {
        List<Corner> corners = new ArrayList<>();
        for (Corner c : outline.outer().corners()) {
            corners.add(new Corner(new Point(c.at().x() + dx, c.at().y() + dy), c.bulge() + bulge));
        }
        return new Outline(new Ring(corners), outline.openings());
    }
}
