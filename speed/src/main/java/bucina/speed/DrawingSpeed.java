package bucina.speed;

import bucina.core.drawing.Intake;
import bucina.core.measure.Unit;
import bucina.store.drawing.Progress;
import bucina.store.drawing.Reading;
import bucina.store.dxf.DxfReader;
import bucina.store.svg.SvgReader;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.function.Supplier;

/** How long large drawings take to be read and understood, the first time in a fresh process, and what they need. */
public final class DrawingSpeed {

    private DrawingSpeed() {}

    public static void main(String[] args) {
        String what = args[0];
        int many = Integer.parseInt(args[1]);
        byte[] file = (what.startsWith("dxf") ? dxf(what, many) : svg(what, many)).getBytes(StandardCharsets.UTF_8);
        Supplier<Reading> read = what.startsWith("dxf")
                ? () -> DxfReader.read(file, Unit.MM, Progress.NONE)
                : () -> SvgReader.read(new String(file, StandardCharsets.UTF_8), Unit.MM, Progress.NONE);
        long start = System.nanoTime();
        Intake in = Intake.of(read.get().drawing());
        double seconds = (System.nanoTime() - start) / 1e9;
        if (in.sheets().size() + in.count() != many) {
            throw new IllegalStateException(
                    in.sheets().size() + " sheets and " + in.count() + " holes of " + many + ": " + in.left());
        }
        Runtime vm = Runtime.getRuntime();
        System.out.printf(
                Locale.ROOT,
                "%s %d: %.2f s the first time, of %d MB allowed %d MB taken%n",
                what,
                many,
                seconds,
                vm.maxMemory() >> 20,
                vm.totalMemory() >> 20);
    }

    private static String dxf(String what, int many) {
        StringBuilder out = new StringBuilder("0\nSECTION\n2\nENTITIES\n");
        for (int i = 0; i < many; i++) {
            double x = i % 500 * 12;
            double y = i / 500 * 12;
            if (what.endsWith("circles")) {
                out.append("0\nCIRCLE\n8\nH\n10\n%s\n20\n%s\n40\n1.25\n".formatted(x, y));
            } else if (what.endsWith("lines")) {
                line(out, x, y, x + 8, y);
                line(out, x + 8, y, x + 8, y + 8);
                line(out, x + 8, y + 8, x, y + 8);
                line(out, x, y + 8, x, y);
            } else {
                out.append(
                        "0\nLWPOLYLINE\n8\nS\n70\n1\n10\n%s\n20\n%s\n10\n%s\n20\n%s\n10\n%s\n20\n%s\n10\n%s\n20\n%s\n"
                                .formatted(x, y, x + 8, y, x + 8, y + 8, x, y + 8));
            }
        }
        return out.append("0\nENDSEC\n0\nEOF\n").toString();
    }

    private static void line(StringBuilder out, double x1, double y1, double x2, double y2) {
        out.append("0\nLINE\n8\nS\n10\n%s\n20\n%s\n11\n%s\n21\n%s\n".formatted(x1, y1, x2, y2));
    }

    private static String svg(String what, int many) {
        StringBuilder out = new StringBuilder(
                "<svg xmlns='http://www.w3.org/2000/svg' width='9000mm' height='9000mm' viewBox='-9 -9 8991 8991'>"
                        + "<style>.k{fill:none;stroke:#000}</style><g id='S'>");
        for (int i = 0; i < many; i++) {
            double x = i % 500 * 12;
            double y = i / 500 * 12;
            out.append(
                    what.endsWith("circles")
                            ? "<circle class='k' cx='%s' cy='%s' r='1.25'/>%n".formatted(x, y)
                            : "<path class='k' d='M%s,%s h8 v8 h-8 Z'/>%n".formatted(x, y));
        }
        return out.append("</g></svg>").toString();
    }
}
