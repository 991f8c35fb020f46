package bucina.speed;

import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.drawing.Intake;
import bucina.core.material.Material;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.plan.Build;
import bucina.core.plan.Fastener;
import bucina.core.rivet.HeadStyle;
import bucina.core.stores.CheckIn;
import bucina.core.stores.TakeIn;
import bucina.store.drawing.Progress;
import bucina.store.dxf.DxfReader;
import bucina.store.table.PackingTable;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * How long a DXF of 20 000 entities takes to come in: read, understood, put on a face. The first run is that of a cold
 * process.
 */
public final class ImportSpeed {

    private static final int ENTITIES = 20_000;
    private static final int LINES = 5_000;

    private ImportSpeed() {}

    private static double[] sorted(double[] times) {
        double[] sorted = times.clone();
        Arrays.sort(sorted);
        return sorted;
    }

    public static void main(String[] args) {
        StringBuilder dxf = new StringBuilder("0\nSECTION\n2\nENTITIES\n"
                + "0\nLWPOLYLINE\n8\nSKIN\n70\n1\n10\n-5\n20\n-5\n10\n2005\n20\n-5\n10\n2005\n20\n1005\n10\n"
                + "-5\n20\n1005\n");
        for (int i = 1; i < ENTITIES; i++) {
            dxf.append("0\nCIRCLE\n8\nR")
                    .append(i / 200)
                    .append("\n10\n")
                    .append(i % 200 * 10)
                    .append("\n20\n")
                    .append(i / 200 * 10)
                    .append("\n40\n1.2446\n");
        }
        String text = dxf.append("0\nENDSEC\n0\nEOF\n").toString();
        Catalogue catalogue = CatalogueReader.shipped();
        Intake.Choices choices = new Intake.Choices(
                Optional.of(Length.mm(.6)),
                false,
                new Fastener.SolidRivet(HeadStyle.FLUSH, "AD", 3),
                Material.parse("2024-T3"),
                catalogue);
        Build empty = new Build("New", "", catalogue.rules(), 1, List.of(), List.of(), Map.of());
        double[] times = new double[7];
        for (int run = 0; run < times.length; run++) {
            long start = System.nanoTime();
            Build made = Intake.of(DxfReader.read(text, Unit.MM, Progress.NONE).drawing())
                    .asFace(empty, "Face", Unit.MM, choices);
            times[run] = (System.nanoTime() - start) / 1e6;
            if (made.faces().getFirst().face().count() != ENTITIES - 1) {
                throw new IllegalStateException("holes were lost");
            }
        }
        System.out.printf(
                Locale.ROOT,
                "DXF of %d entities: %.0f ms the first time in a fresh process, then %.0f ms%n",
                ENTITIES,
                times[0],
                sorted(times)[times.length / 2]);
        packing(catalogue, empty);
    }

    /** A packing list read, taken in and held against the plan. */
    private static void packing(Catalogue catalogue, Build empty) {
        StringBuilder list = new StringBuilder("Part No;Description;Qty;Gauge (mm);Crate\n");
        for (int i = 0; i < LINES; i++) {
            list.append(i % 10 == 0 ? "MS20426AD3-" + (2 + i % 7) : "DS-" + i)
                    .append(";Part ")
                    .append(i)
                    .append(';')
                    .append(1 + i % 40)
                    .append(i % 10 == 0 ? ";;bag " : ";0,81;crate ")
                    .append(i % 9)
                    .append('\n');
        }
        double[] times = new double[7];
        for (int run = 0; run < times.length; run++) {
            long start = System.nanoTime();
            PackingTable.Reading read = PackingTable.read(list.toString(), Unit.INCH, catalogue.drills());
            Build made = TakeIn.list(empty, read.lines());
            int differs = new CheckIn(made).differs().size();
            times[run] = (System.nanoTime() - start) / 1e6;
            if (read.lines().size() != LINES || differs < LINES / 2) {
                throw new IllegalStateException("lines were lost");
            }
        }
        System.out.printf(
                Locale.ROOT,
                "packing list of %d lines: %.0f ms the first time in a fresh process, then %.0f ms%n",
                LINES,
                times[0],
                sorted(times)[times.length / 2]);
    }
}
