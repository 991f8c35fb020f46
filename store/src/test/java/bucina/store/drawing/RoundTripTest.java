package bucina.store.drawing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.demo.Dunlin;
import bucina.core.demo.Locker;
import bucina.core.drawing.Drawing;
import bucina.core.drawing.FaceDrawing;
import bucina.core.drawing.Intake;
import bucina.core.material.Material;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.plan.Build;
import bucina.core.plan.Fastener;
import bucina.core.stack.Derivation;
import bucina.core.stack.FaceReading;
import bucina.store.dxf.DxfReader;
import bucina.store.svg.SvgReader;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What goes out, comes into an empty build and goes out again agrees to a thousandth of a millimetre. */
class RoundTripTest {

    private static final double THOUSANDTH = 1000;

    private final Catalogue catalogue = CatalogueReader.shipped();

    private FaceReading reading(String face) {
        Build build = face.startsWith("L") && !face.startsWith("Lower") || face.startsWith("B")
                ? Locker.build(catalogue.rules())
                : Dunlin.build(catalogue.rules());
        return Derivation.of(build, catalogue)
                .face(build.face(face).orElseThrow().face().id());
    }

    private FaceReading broughtIn(Drawing drawing, Fastener fastener) {
        Build empty = new Build("New", "", catalogue.rules(), 1, List.of(), List.of(), Map.of());
        Build made = Intake.of(drawing)
                .asFace(
                        empty,
                        "Face",
                        Unit.MM,
                        new Intake.Choices(
                                Optional.of(Length.mm(.6)), false, fastener, Material.parse("2024-T3"), catalogue));
        return Derivation.of(made, catalogue)
                .face(made.faces().getFirst().face().id());
    }

    private void agrees(String face, Function<Drawing, Drawing> outAndIn) {
        FaceReading first = reading(face);
        Fastener fastener = first.face().groups().getFirst().fastener();
        Drawing out = FaceDrawing.of(first);
        FaceReading second = broughtIn(outAndIn.apply(out), fastener);
        assertThat(figures(FaceDrawing.of(second))).hasSameSizeAs(figures(out));
        assertClose(figures(FaceDrawing.of(second)), figures(out));
        FaceReading third = broughtIn(outAndIn.apply(FaceDrawing.of(second)), fastener);
        assertClose(figures(FaceDrawing.of(third)), figures(FaceDrawing.of(second)));
    }

    private static void assertClose(List<Double> a, List<Double> b) {
        for (int i = 0; i < a.size(); i++) {
            assertThat(a.get(i)).isCloseTo(b.get(i), within(THOUSANDTH));
        }
    }

    /** Every coordinate, sagitta of arcs and diameter, in nm. */
    private static List<Double> figures(Drawing drawing) {
        List<Double> figures = new ArrayList<>();
        for (Drawing.Shape s : drawing.shapes()) {
            switch (s) {
                case Drawing.Path p -> {
                    for (int i = 0; i < p.corners().size(); i++) {
                        var c = p.corners().get(i);
                        figures.add(c.at().x());
                        figures.add(c.at().y());
                        figures.add(c.bulge()
                                * c.at().to(p.corners()
                                                .get((i + 1) % p.corners().size())
                                                .at())
                                        .nanometres()
                                / 2);
                    }
                }
                case Drawing.Circle c -> {
                    figures.add(c.at().x());
                    figures.add(c.at().y());
                    figures.add(c.diameter().nanometres());
                }
                default -> throw new AssertionError(s);
            }
        }
        return figures;
    }

    @ParameterizedTest
    @ValueSource(strings = {"Upper skin", "Lower skin", "Main spar web", "Rear spar web", "Locker floor", "Lid"})
    void dxf_agrees(String face) {
        agrees(face, d -> {
            Reading r = DxfReader.read(DxfWriter.write(d), Unit.INCH, Progress.NONE);
            assertThat(r.unit().orElseThrow().unit()).isEqualTo(Unit.MM);
            return r.drawing();
        });
    }

    @ParameterizedTest
    @ValueSource(strings = {"Upper skin", "Lower skin", "Main spar web", "Rear spar web", "Locker floor", "Lid"})
    void svg_agrees(String face) {
        agrees(
                face,
                d -> SvgReader.read(SvgWriter.write(d), Unit.INCH, Progress.NONE)
                        .drawing());
    }

    @ParameterizedTest
    @ValueSource(strings = {"Upper skin", "Locker floor"})
    void csv_agrees_and_keeps_rows_groups_and_labels(String face) {
        FaceReading first = reading(face);
        Drawing table = Tables.read(HoleCsv.write(first.readings()), Unit.INCH, catalogue.drills(), Progress.NONE);
        FaceReading second = broughtIn(table, first.face().groups().getFirst().fastener());
        assertThat(second.readings())
                .extracting(r -> r.group().code() + " " + r.label())
                .isEqualTo(first.readings().stream()
                        .map(r -> r.group().code() + " " + r.label())
                        .toList());
        for (int i = 0; i < first.size(); i++) {
            assertThat(second.reading(i)
                            .hole()
                            .at()
                            .to(first.reading(i).hole().at())
                            .nanometres())
                    .isLessThan(THOUSANDTH);
            assertThat(second.reading(i)
                            .solution()
                            .hole()
                            .minus(first.reading(i).solution().hole())
                            .abs()
                            .nanometres())
                    .isLessThan(THOUSANDTH);
        }
        Drawing again = Tables.read(HoleCsv.write(second.readings()), Unit.INCH, catalogue.drills(), Progress.NONE);
        assertThat(again).isEqualTo(table);
    }

    @ParameterizedTest
    @ValueSource(strings = {"Upper skin", "Lower skin"})
    void a_full_circle_and_an_arc_over_half_stay_what_they_are(String face) {
        Drawing out = FaceDrawing.of(reading(face));
        Drawing svg =
                SvgReader.read(SvgWriter.write(out), Unit.MM, Progress.NONE).drawing();
        long arcs = out.shapes().stream()
                .filter(s -> s instanceof Drawing.Path p && p.corners().stream().anyMatch(c -> c.bulge() != 0))
                .count();
        // What is written as a path of arcs alone is round.
        assertThat(svg.shapes().stream()
                        .filter(s -> s instanceof Drawing.Path p
                                        && p.corners().stream().anyMatch(c -> c.bulge() != 0)
                                || s instanceof Drawing.Circle c
                                        && !c.diameter().atMost(Intake.LARGEST_HOLE))
                        .count())
                .isEqualTo(arcs)
                .isPositive();
    }
}
