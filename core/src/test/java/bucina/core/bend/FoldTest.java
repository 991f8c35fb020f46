package bucina.core.bend;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import bucina.core.measure.Angle;
import bucina.core.measure.Length;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/*
 * Folds the flat again, point by point, and measures the legs on the folded faces: knows nothing of setbacks. The
 * right face of the sheet is walked;
 * a bend to the left turns about a centre on the left, R beyond the left face, and the other way about. Where faces
 * meet is found by crossing lines.
 */
class FoldTest {

    private record At(double x, double y) {

        At plus(double dx, double dy) {
            return new At(x + dx, y + dy);
        }

        double along(double heading) {
            return x * Math.cos(heading) + y * Math.sin(heading);
        }
    }

    private record Folded(List<At> starts, List<At> ends, List<Double> headings, List<At> centres) {

        static Folded of(FlatPattern flat) {
            Folded f = new Folded(new ArrayList<>(), new ArrayList<>(), new ArrayList<>(), new ArrayList<>());
            At at = new At(0, 0);
            double heading = 0;
            for (int i = 0; i < flat.flats().size(); i++) {
                double length = flat.flats().get(i).in();
                f.starts.add(at);
                f.headings.add(heading);
                at = at.plus(length * Math.cos(heading), length * Math.sin(heading));
                f.ends.add(at);
                if (i < flat.bends().size()) {
                    Bend b = flat.bends().get(i);
                    double r = b.radius().in();
                    double turn = b.turn().radians();
                    double reach = turn > 0 ? r + b.thickness().in() : -r;
                    At centre = at.plus(-reach * Math.sin(heading), reach * Math.cos(heading));
                    f.centres.add(centre);
                    heading += turn;
                    at = centre.plus(reach * Math.sin(heading), -reach * Math.cos(heading));
                }
            }
            return f;
        }

        /** Where the faces of the legs before and after a bend meet, {@code left} of the walked face. */
        At apex(int bend, double left) {
            double h = headings.get(bend);
            double g = headings.get(bend + 1);
            At a = ends.get(bend).plus(-left * Math.sin(h), left * Math.cos(h));
            At b = starts.get(bend + 1).plus(-left * Math.sin(g), left * Math.cos(g));
            double s = ((b.x - a.x) * Math.sin(g) - (b.y - a.y) * Math.cos(g)) / Math.sin(g - h);
            return a.plus(s * Math.cos(h), s * Math.sin(h));
        }
    }

    private static At mark(Folded folded, FlatPattern flat, int bend, int leg, MeasuredTo measured) {
        Bend b = flat.bends().get(bend);
        boolean left = b.turn().degrees() > 0;
        double t = b.thickness().in();
        double heading = folded.headings.get(leg);
        int sign = leg == bend ? 1 : -1;
        return switch (measured) {
            case FLAT -> leg == bend ? folded.ends.get(leg) : folded.starts.get(leg);
            case INSIDE -> folded.apex(bend, left ? t : 0);
            case OUTSIDE -> {
                double reach = sign * (b.radius().in() + t);
                yield b.size().degrees() < 90
                        ? folded.apex(bend, left ? 0 : t)
                        : folded.centres.get(bend).plus(reach * Math.cos(heading), reach * Math.sin(heading));
            }
            case MOULD -> folded.apex(bend, left ? 0 : t);
        };
    }

    @ParameterizedTest
    @EnumSource(MeasuredTo.class)
    void a_flat_folded_again_has_the_legs_that_were_asked_for(MeasuredTo measured) {
        Random random = new Random(7);
        for (int n = 0; n < 1000; n++) {
            int count = 1 + random.nextInt(5);
            double t = .016 + random.nextDouble() * .11;
            List<Bend> bends = new ArrayList<>();
            List<Length> legs = new ArrayList<>(List.of(Length.nm(25_400_000 * (3 + random.nextDouble() * 9))));
            for (int i = 0; i < count; i++) {
                double turn = (3 + random.nextDouble() * 147) * (random.nextBoolean() ? 1 : -1);
                bends.add(new Bend(
                        Length.in(random.nextDouble() * .25),
                        Length.in(t),
                        Angle.degrees(turn),
                        new NeutralLine.Factor(.446)));
                legs.add(Length.nm(25_400_000 * (3 + random.nextDouble() * 9)));
            }
            FlatPattern flat = FlatPattern.of(legs, bends, measured);
            Folded folded = Folded.of(flat);
            for (int leg = 0; leg <= count; leg++) {
                At from = leg == 0 ? folded.starts.getFirst() : mark(folded, flat, leg - 1, leg, measured);
                At to = leg == count ? folded.ends.getLast() : mark(folded, flat, leg, leg, measured);
                double heading = folded.headings.get(leg);
                assertThat(to.along(heading) - from.along(heading))
                        .as("profile %d, leg %d", n, leg + 1)
                        .isCloseTo(legs.get(leg).in(), within(1e-9));
            }
        }
    }
}
