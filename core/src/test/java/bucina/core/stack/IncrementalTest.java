package bucina.core.stack;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.demo.Dunlin;
import bucina.core.demo.Locker;
import bucina.core.edit.Edit;
import bucina.core.edit.HoleEdits;
import bucina.core.edit.SheetEdits;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.plan.Acceptance;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.plan.Group;
import bucina.core.plan.Hold;
import bucina.core.plan.HolePlan;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Row;
import bucina.core.plan.Zone;
import bucina.core.rule.Finding;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Whatever is edited, the incremental result equals a full derive, reading by reading and finding by finding. */
class IncrementalTest {

    private final Catalogue catalogue = CatalogueReader.shipped();

    @ParameterizedTest
    @ValueSource(longs = {11, 12, 13, 14})
    void random_edits_of_anything_agree_with_a_full_derive(long seed) {
        Random random = new Random(seed);
        Build build = seed % 2 == 0 ? Locker.build(catalogue.rules()) : Dunlin.build(catalogue.rules());
        Derivation derivation = Derivation.of(build, catalogue);
        for (int step = 0; step < 60; step++) {
            Build next;
            try {
                next = edit(build, random).checked();
            } catch (InputException e) {
                continue;
            }
            derivation = derivation.after(next);
            build = next;
            Derivation full = Derivation.of(build, catalogue);
            for (Build.FaceRef ref : build.faces()) {
                List<HoleReading> a = derivation.face(ref.face().id()).readings();
                List<HoleReading> b = full.face(ref.face().id()).readings();
                assertThat(a).hasSameSizeAs(b);
                for (int i = 0; i < b.size(); i++) {
                    assertThat(a.get(i).same(b.get(i)))
                            .as("step %d, %s", step, b.get(i).label())
                            .isTrue();
                    assertThat(a.get(i).group()).isSameAs(b.get(i).group());
                }
            }
            assertThat(derivation.findings(() -> false)).isEqualTo(full.findings(() -> false));
        }
    }

    private static Build edit(Build build, Random random) {
        Face face = build.faces().get(random.nextInt(build.faces().size())).face();
        Group group = face.groups().get(random.nextInt(face.groups().size()));
        if (group.rows().isEmpty()) {
            return build;
        }
        Row row = group.rows().get(random.nextInt(group.rows().size()));
        Id.Hole hole = row.holes().get(random.nextInt(row.holes().size())).id();
        Layer layer = face.layers().get(random.nextInt(face.layers().size()));
        return switch (random.nextInt(12)) {
            case 0 -> HoleEdits.move(build, Set.of(hole), random.nextGaussian() * 2e7, random.nextGaussian() * 1e7);
            case 1 -> HoleEdits.delete(build, Set.of(hole));
            case 2 ->
                HoleEdits.add(
                        build,
                        row.id(),
                        new Point(
                                row.holes().getFirst().at().x() + random.nextGaussian() * 1e7,
                                row.holes().getFirst().at().y()));
            case 3 ->
                HoleEdits.end(
                        build,
                        row.id(),
                        random.nextBoolean(),
                        new Point(
                                row.holes().getLast().at().x() + 3e6,
                                row.holes().getLast().at().y() + 4e6));
            case 4 -> HoleEdits.split(build, row.id(), hole);
            case 5 ->
                SheetEdits.moveEdge(
                        build,
                        layer.id(),
                        SheetEdits.nearestEdge(
                                layer.outline(), row.holes().getFirst().at()),
                        random.nextGaussian() * 6e6);
            case 6 -> Edit.layer(build, layer.id(), l -> l.withThickness(Length.in(.02 + random.nextInt(60) / 1000.0)));
            default -> editMore(build, face, group, layer, row, random);
        };
    }

    private static Build editMore(Build build, Face face, Group group, Layer layer, Row row, Random random) {
        return switch (7 + random.nextInt(5)) {
            case 7 -> SheetEdits.order(build, layer.id(), random.nextBoolean());
            case 8 -> Edit.group(build, group.id(), g -> g.withHeadFar(!g.headFar()));
            case 9 ->
                Edit.group(
                        build,
                        group.id(),
                        g -> g.withHoles(new HolePlan(
                                Optional.empty(), Hold.AUTO, "", Optional.of(100 + 20 * random.nextInt(2)))));
            case 10 -> zoned(build, face, row, random);
            default -> accepted(build, face, random);
        };
    }

    private static Build zoned(Build build, Face face, Row row, Random random) {
        Point first = row.holes().getFirst().at();
        Point last = row.holes().getLast().at();
        Point corner = new Point(last.x() == first.x() ? first.x() + 1e7 : last.x(), last.y() + 1e7);
        return SheetEdits.zone(
                build,
                face.id(),
                new Zone(
                        new Id.Zone(build.nextId()),
                        "Zone",
                        random.nextBoolean() ? Zone.Kind.KEEP_OUT : Zone.Kind.BEHIND,
                        Outline.rectangle(first, corner),
                        Length.mm(random.nextInt(9))));
    }

    private static Build accepted(Build build, Face face, Random random) {
        FaceReading reading = Derivation.of(build, CatalogueReader.shipped()).face(face.id());
        List<HoleReading> wrong =
                reading.readings().stream().filter(r -> r.worst().isPresent()).toList();
        if (wrong.isEmpty()) {
            return build;
        }
        HoleReading r = wrong.get(random.nextInt(wrong.size()));
        Finding f = StackCheck.findings(face, r).getFirst();
        Acceptance a = new Acceptance(
                new Id.Acceptance(build.nextId()),
                r.hole().id(),
                f.rule(),
                f.place().layer(),
                f.measured(),
                f.required(),
                "so drawn",
                "T. Lind",
                LocalDate.of(2026, 11, 2));
        return build.withPapers(build.papers().with(a), build.nextId() + 1);
    }
}
