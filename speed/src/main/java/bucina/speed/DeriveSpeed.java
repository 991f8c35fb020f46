package bucina.speed;

import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.measure.Length;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.plan.Layer;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import bucina.core.stack.Derivation;
import java.util.Locale;

/** Full derive of 5 000, 20 000 and 80 000 holes, and the edit of one doubler's edge. */
public final class DeriveSpeed {

    private static final int HOLES_EACH = 500;
    private static int sink;

    private DeriveSpeed() {}

    public static void main(String[] args) {
        Catalogue catalogue = CatalogueReader.shipped();
        Build cold = BigBuild.of(40, HOLES_EACH, catalogue.rules());
        long start = System.nanoTime();
        sink += Derivation.of(cold, catalogue).build().parts().size();
        System.out.printf(
                Locale.ROOT,
                "full derive, 20000 holes on 40 faces, first time in a fresh process: %.0f ms%n",
                (System.nanoTime() - start) / 1e6);
        double before = 0;
        for (int faces : new int[] {10, 40, 160}) {
            Build build = BigBuild.of(faces, HOLES_EACH, catalogue.rules());
            double ms = Median.ms(
                    9,
                    () -> sink +=
                            Derivation.of(build, catalogue).build().parts().size());
            int holes = faces * HOLES_EACH;
            double nlogn = 4 * Math.log(holes) / Math.log(holes / 4.0);
            System.out.printf(
                    Locale.ROOT,
                    "full derive, %6d holes on %3d faces: %7.1f ms%s%n",
                    holes,
                    faces,
                    ms,
                    before == 0
                            ? ""
                            : String.format(
                                    Locale.ROOT, ", %.2f times the quarter (n log n: %.2f)", ms / before, nlogn));
            before = ms;
        }
        edit(cold, catalogue, "500");
        edit(BigBuild.of(1, 5000, catalogue.rules()), catalogue, "5000");
        System.out.println("(" + sink + ")");
    }

    private static void edit(Build build, Catalogue catalogue, String holes) {
        Derivation derivation = Derivation.of(build, catalogue);
        Face face = build.faces().getFirst().face();
        Layer doubler = face.layers().get(1);
        double edge = doubler.outline().box().maxX() / 25.4e6;
        double top = doubler.outline().box().maxY() / 25.4e6;
        int[] step = {0};
        int[] worked = {0};
        double ms = Median.ms(101, () -> {
            double x = Math.round((edge + .01 * (step[0]++ % 7)) * 1000) / 1000.0;
            Layer moved = new Layer(
                    doubler.id(),
                    doubler.part(),
                    doubler.name(),
                    Length.in(.040),
                    Outline.rectangle(Point.in(.2, .2), Point.in(x, top)));
            Derivation next = derivation.after(build.with(face.with(moved), build.nextId()));
            worked[0] = next.face(face.id()).workedOut();
        });
        System.out.printf(
                Locale.ROOT,
                "edge of a doubler moved on a face of %s holes: %.2f ms, %d holes worked out again%n",
                holes,
                ms,
                worked[0]);
    }
}
