package bucina.store.drawing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import bucina.core.catalogue.CatalogueReader;
import bucina.core.drawing.Drawing;
import bucina.core.drawing.Intake;
import bucina.core.drawing.Left;
import bucina.core.drawing.Understood;
import bucina.core.measure.DrillTable;
import bucina.core.measure.InputException;
import bucina.core.measure.Unit;
import bucina.core.sheet.Corner;
import bucina.core.sheet.Ring;
import bucina.store.dxf.DxfReader;
import bucina.store.svg.SvgReader;
import bucina.store.table.HoleTable;
import bucina.store.table.TableReading;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Files that other programs wrote, against areas, centres, holes and counts that those worked out. */
class ProducersTest {

    private static final List<String> PRODUCERS = List.of("ezdxf", "openscad", "gdal", "matplotlib", "svgo");

    /** Area, mm², and centre of a sheet, mm. */
    private record Sheet(double area, double x, double y) {}

    private static InputStream file(String producer, String name) {
        return Objects.requireNonNull(
                ProducersTest.class.getResourceAsStream("/drawings/" + producer + "/" + name), name);
    }

    static Stream<Arguments> cases() {
        return PRODUCERS.stream().flatMap(producer -> {
            return expected(producer).map(c -> Arguments.of(producer, c[0], c[1], c[2], Integer.parseInt(c[3])));
        });
    }

    private static Stream<String[]> expected(String producer) {
        try (BufferedReader lines =
                new BufferedReader(new InputStreamReader(file(producer, "expected.csv"), StandardCharsets.UTF_8))) {
            return lines.lines().skip(1).map(l -> l.split(",", -1)).toList().stream();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @ParameterizedTest(name = "{0} {1}")
    @MethodSource("cases")
    void what_comes_in_is_what_was_drawn(String producer, String name, String sheets, String holes, int left)
            throws IOException {
        boolean svg = ProducersTest.class.getResource("/drawings/" + producer + "/" + name + ".svg") != null;
        byte[] bytes = bytes(producer, name + (svg ? ".svg" : ".dxf"));
        Reading reading = svg
                ? SvgReader.read(TextFile.text(bytes), Unit.MM, Progress.NONE)
                : DxfReader.read(bytes, Unit.MM, Progress.NONE);
        Intake in = Intake.of(reading.drawing());
        assertThat(in.left().stream().mapToInt(Left::many).sum())
                .as(in.left().toString())
                .isEqualTo(left);
        Map<Double, Integer> found = new TreeMap<>();
        Understood.of(in).holes().forEach(h -> found.put(rounded(h.diameter().mm()), h.many()));
        assertThat(found).isEqualTo(holes(holes));
        List<Sheet> expected = sheets.isEmpty()
                ? List.of()
                : Stream.of(sheets.split(";")).map(ProducersTest::sheet).toList();
        assertThat(in.sheets()).hasSameSizeAs(expected);
        for (int i = 0; i < expected.size(); i++) {
            Sheet is = measured(in.sheets().get(i).outline().outer());
            assertThat(is.area).isCloseTo(expected.get(i).area, within(expected.get(i).area * 3e-5));
            assertThat(is.x).isCloseTo(expected.get(i).x, within(.002));
            assertThat(is.y).isCloseTo(expected.get(i).y, within(.002));
        }
    }

    private static byte[] bytes(String producer, String name) throws IOException {
        try (InputStream file = file(producer, name)) {
            return file.readAllBytes();
        }
    }

    static Stream<Arguments> tables() {
        return expected("gnumeric")
                .map(c -> Arguments.of(
                        c[0], c[1], Double.parseDouble(c[2]), Double.parseDouble(c[3]), Integer.parseInt(c[4])));
    }

    @ParameterizedTest(name = "gnumeric {0}")
    @MethodSource("tables")
    void the_holes_of_a_table_are_those_of_the_spreadsheet(String name, String holes, double x, double y, int left)
            throws IOException {
        String text = TextFile.text(bytes("gnumeric", name));
        DrillTable drills = CatalogueReader.shipped().drills();
        if (holes.equals("refused")) {
            assertThatThrownBy(() -> HoleTable.read(text, Unit.INCH, Optional.empty(), drills, Progress.NONE))
                    .isInstanceOf(InputException.class)
                    .hasMessageContaining("line 2");
            return;
        }
        TableReading table = HoleTable.read(text, Unit.INCH, Optional.empty(), drills, Progress.NONE);
        assertThat(table.unit()).isPresent();
        assertThat(table.asked()).isEmpty();
        List<Drawing.Circle> circles = table.faces().get("").shapes().stream()
                .map(Drawing.Circle.class::cast)
                .toList();
        Map<Double, Integer> found = new TreeMap<>();
        circles.forEach(c -> found.merge(rounded(c.diameter().mm()), 1, Integer::sum));
        assertThat(found).isEqualTo(holes(holes));
        assertThat(circles.stream().mapToDouble(c -> c.at().across().mm()).average())
                .hasValueCloseTo(x, within(1e-6));
        assertThat(circles.stream().mapToDouble(c -> c.at().up().mm()).average())
                .hasValueCloseTo(y, within(1e-6));
        assertThat(table.faces().get("").left().stream().mapToInt(Left::many).sum())
                .isEqualTo(left);
    }

    private static double rounded(double mm) {
        return Math.round(mm * 1e3) / 1e3;
    }

    private static Map<Double, Integer> holes(String text) {
        return text.isEmpty()
                ? Map.of()
                : Stream.of(text.split(";"))
                        .map(h -> h.split(" "))
                        .collect(Collectors.toMap(
                                h -> rounded(Double.parseDouble(h[0])),
                                h -> Integer.parseInt(h[1]),
                                Integer::sum,
                                TreeMap::new));
    }

    private static Sheet sheet(String text) {
        String[] figures = text.split(" ");
        return new Sheet(
                Double.parseDouble(figures[0]), Double.parseDouble(figures[1]), Double.parseDouble(figures[2]));
    }

    /** By chords of its arcs, so that no sum of ours is asked. */
    private static Sheet measured(Ring ring) {
        double area = 0;
        double x = 0;
        double y = 0;
        List<double[]> points = new ArrayList<>();
        List<Corner> corners = ring.corners();
        for (int i = 0; i < corners.size(); i++) {
            Corner a = corners.get(i);
            Corner b = corners.get((i + 1) % corners.size());
            int steps = a.bulge() == 0 ? 1 : 2000;
            for (int k = 0; k < steps; k++) {
                points.add(on(a, b, (double) k / steps));
            }
        }
        for (int i = 0; i < points.size(); i++) {
            double[] a = points.get(i);
            double[] b = points.get((i + 1) % points.size());
            double cross = a[0] * b[1] - b[0] * a[1];
            area += cross / 2;
            x += (a[0] + b[0]) * cross / 6;
            y += (a[1] + b[1]) * cross / 6;
        }
        return new Sheet(Math.abs(area), x / area, y / area);
    }

    /** A point on an edge by the angle it is seen under from its chord, mm. */
    private static double[] on(Corner a, Corner b, double share) {
        double ax = a.at().x() / 1e6;
        double ay = a.at().y() / 1e6;
        double dx = b.at().x() / 1e6 - ax;
        double dy = b.at().y() / 1e6 - ay;
        if (a.bulge() == 0) {
            return new double[] {ax + share * dx, ay + share * dy};
        }
        double half = 2 * Math.atan(a.bulge());
        double turn = half * share;
        double length = Math.sin(turn) / Math.sin(half);
        // The chord to a point of an arc leaves it turned by half of what is still to come.
        double lean = -(half - turn);
        return new double[] {
            ax + length * (dx * Math.cos(lean) - dy * Math.sin(lean)),
            ay + length * (dx * Math.sin(lean) + dy * Math.cos(lean))
        };
    }
}
