package bucina.core.refit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.sheet.Point;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class MisfitTest {

    private static final Length W = Length.in(.006);
    private static final double INCH = 25.4e6;
    /** What a caliper and an eye are off, one standard deviation, in. */
    private static final double NOISE = .0012;

    private static Misfit of(double[][] holes, double[][] offsets) {
        return Misfit.of(points(holes), points(offsets), W);
    }

    private static List<Point> points(double[][] inches) {
        List<Point> points = new ArrayList<>();
        for (double[] p : inches) {
            points.add(Point.in(p[0], p[1]));
        }
        return points;
    }

    @Test
    void aShiftIsFoundByHand() {
        Misfit m =
                of(new double[][] {{0, 0}, {4, 0}, {8, 1}}, new double[][] {{-.01, .047}, {-.01, .047}, {-.01, .047}});
        assertThat(m.verdict()).isEqualTo(Misfit.Verdict.MOVED);
        assertThat(m.shift().x() / INCH).isCloseTo(-.01, within(1e-9));
        assertThat(m.shift().y() / INCH).isCloseTo(.047, within(1e-9));
        assertThat(m.turn()).isCloseTo(0, within(1e-9));
        assertThat(m.about().x() / INCH).isCloseTo(4, within(1e-9));
    }

    @Test
    void aTurnByHand() {
        // Ten inches from the middle, a turn of a third of a degree lifts by 10 tan: .058178.
        double lift = 10 * Math.sin(Math.toRadians(1 / 3.0));
        double back = 10 * (Math.cos(Math.toRadians(1 / 3.0)) - 1);
        Misfit m =
                of(new double[][] {{-10, 0}, {0, 0}, {10, 0}}, new double[][] {{-back, -lift}, {0, 0}, {back, lift}});
        assertThat(m.verdict()).isEqualTo(Misfit.Verdict.MOVED);
        assertThat(m.turn()).isCloseTo(1 / 3.0, within(1e-9));
        assertThat(new MisfitWords("rib 4", "outboard", "forward", List.of("a", "b", "c"))
                        .of(m)
                        .in(Unit.INCH))
                .isEqualTo("Rib 4 is turned 0.33° anticlockwise. Pull the cleco at a first, turn it clockwise, and "
                        + "try again. Move this part, not the skin.");
    }

    @Test
    void nearEnoughFits() {
        Misfit m = of(new double[][] {{0, 0}, {4, 0}, {8, 0}}, new double[][] {{.006, 0}, {0, -.006}, {-.004, .004}});
        assertThat(m.verdict()).isEqualTo(Misfit.Verdict.FITS);
        assertThat(m.pull()).isEmpty();
    }

    @Test
    void ofThreeHolesAHumpIsUnclear() {
        Misfit m = of(new double[][] {{0, 0}, {4, 0}, {8, 0}}, new double[][] {{0, 0}, {0, .05}, {0, 0}});
        assertThat(m.verdict()).isEqualTo(Misfit.Verdict.UNCLEAR);
    }

    @Test
    void threeHolesCanHaveAnotherPitch() {
        Misfit m = of(new double[][] {{0, 0}, {4, 0}, {8, 0}}, new double[][] {{-.03, 0}, {0, 0}, {.03, 0}});
        assertThat(m.verdict()).isEqualTo(Misfit.Verdict.PITCH);
    }

    @Test
    void theBadHoleIsLeftOutOfWhatIsSaid() {
        Misfit m = of(
                new double[][] {{0, 0}, {4, 0}, {8, 0}, {12, 0}},
                new double[][] {{.001, 0}, {.001, 0}, {.001, .04}, {.001, 0}});
        assertThat(m.verdict()).isEqualTo(Misfit.Verdict.ONE_HOLE);
        assertThat(m.pull()).hasValue(2);
        assertThat(m.shift().x() / INCH).isCloseTo(.001, within(1e-9));
        assertThat(m.residuals().get(2).in()).isCloseTo(.04, within(1e-9));
        assertThat(m.residuals().get(0).in()).isCloseTo(0, within(1e-9));
    }

    @Test
    void fewerThanThreeHolesAreRefused() {
        assertThatThrownBy(() -> of(new double[][] {{0, 0}, {4, 0}}, new double[][] {{0, 0}, {0, 0}}))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("three holes or more");
        assertThatThrownBy(() -> of(new double[][] {{0, 0}, {4, 0}, {0, 0}}, new double[][] {{0, 0}, {0, 0}, {.1, 0}}))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("in one place");
    }

    /** Holes along a flange, seldom quite straight, in no particular direction. */
    private static List<Point> flange(Random random, int count) {
        double axis = random.nextDouble() * Math.PI;
        double length = 6 + 10 * random.nextDouble();
        List<Point> holes = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            double a = length * (i + .4 * (random.nextDouble() - .5)) / (count - 1);
            double b = .6 * (random.nextDouble() - .5);
            holes.add(Point.in(a * Math.cos(axis) - b * Math.sin(axis), a * Math.sin(axis) + b * Math.cos(axis)));
        }
        return holes;
    }

    private interface Fault {
        /** What is done to a place on the part, in inches, in its own axes: u along it from its middle, v across. */
        double[] at(int hole, double u, double v);
    }

    /** Offsets of a part with a fault, turned and shifted, measured with some noise. Shares no code with the fit. */
    private static List<Point> offsets(List<Point> holes, Random random, double shift, double turn, Fault fault) {
        int n = holes.size();
        double ux = holes.get(n - 1).x() - holes.get(0).x();
        double uy = holes.get(n - 1).y() - holes.get(0).y();
        double l = Math.hypot(ux, uy);
        ux /= l;
        uy /= l;
        double mx = holes.stream().mapToDouble(Point::x).sum() / n;
        double my = holes.stream().mapToDouble(Point::y).sum() / n;
        double direction = random.nextDouble() * 2 * Math.PI;
        List<Point> offsets = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            double dx = holes.get(i).x() - mx;
            double dy = holes.get(i).y() - my;
            double[] bent = fault.at(i, (dx * ux + dy * uy) / INCH, (dy * ux - dx * uy) / INCH);
            double px = dx + INCH * (bent[0] * ux - bent[1] * uy);
            double py = dy + INCH * (bent[0] * uy + bent[1] * ux);
            double qx = px * Math.cos(turn) - py * Math.sin(turn) + INCH * shift * Math.cos(direction);
            double qy = px * Math.sin(turn) + py * Math.cos(turn) + INCH * shift * Math.sin(direction);
            offsets.add(new Point(qx - dx + INCH * NOISE * clipped(random), qy - dy + INCH * NOISE * clipped(random)));
        }
        return offsets;
    }

    private static double clipped(Random random) {
        return Math.clamp(random.nextGaussian(), -2.5, 2.5);
    }

    private static int told(Misfit.Verdict verdict, int count, int seed) {
        int right = 0;
        for (int i = 0; i < 100; i++) {
            Random random = new Random(1000L * seed + i);
            List<Point> holes = flange(random, count);
            double size = (.025 + .03 * random.nextDouble()) * (random.nextBoolean() ? 1 : -1);
            double half = holes.getFirst().to(holes.getLast()).in() / 2;
            int bad = random.nextInt(count);
            double way = random.nextDouble() * 2 * Math.PI;
            Fault fault =
                    switch (verdict) {
                        case PITCH -> (h, u, v) -> new double[] {1.2 * size * u / half, 0};
                        case BOWED -> (h, u, v) -> new double[] {0, 1.5 * size * u * u / half / half};
                        case ONE_HOLE ->
                            (h, u, v) -> h == bad
                                    ? new double[] {1.6 * size * Math.cos(way), 1.6 * size * Math.sin(way)}
                                    : new double[] {0, 0};
                        default -> (h, u, v) -> new double[] {0, 0};
                    };
            double shift = .02 + .05 * random.nextDouble();
            double turn = Math.toRadians(random.nextDouble() - .5);
            Misfit m = Misfit.of(holes, offsets(holes, random, shift, turn, fault), W);
            boolean told = m.verdict() == verdict;
            if (verdict == Misfit.Verdict.MOVED) {
                told &= Math.abs(m.moved().in() - shift) < 2 * NOISE
                        && Math.abs(m.turn() - Math.toDegrees(turn)) < Math.toDegrees(2 * NOISE / half) * 2;
            }
            if (verdict == Misfit.Verdict.ONE_HOLE) {
                told &= m.pull().orElse(-1) == bad;
            }
            right += told ? 1 : 0;
        }
        return right;
    }

    @ParameterizedTest
    @ValueSource(ints = {4, 5})
    void everyFaultIsToldApart(int holes) {
        for (Misfit.Verdict v : new Misfit.Verdict[] {
            Misfit.Verdict.MOVED, Misfit.Verdict.PITCH, Misfit.Verdict.BOWED, Misfit.Verdict.ONE_HOLE
        }) {
            assertThat(told(v, holes, holes)).as("%s at %d holes", v, holes).isGreaterThanOrEqualTo(95);
        }
    }
}
