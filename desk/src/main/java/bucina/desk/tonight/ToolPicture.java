package bucina.desk.tonight;

import bucina.core.plan.Tool;
import bucina.desk.look.Palette;
import java.util.Arrays;
import java.util.Optional;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.shape.StrokeLineCap;

/** A tool as it looks on the bench, in a few lines. */
final class ToolPicture extends Canvas {

    /** What a tool looks like. */
    enum Look {
        DRILL,
        DEBURRING,
        DIES,
        CAGE,
        SQUEEZER,
        GUN,
        PULLER,
        DRIVER,
        WRENCH,
        GAUGE,
        HANDS
    }

    private static final double WIDE = 64;
    private static final double HIGH = 40;

    ToolPicture(Look look, Palette p) {
        super(WIDE, HIGH);
        GraphicsContext g = getGraphicsContext2D();
        g.setStroke(p.ink());
        g.setFill(p.metal());
        g.setLineWidth(1.5);
        g.setLineCap(StrokeLineCap.ROUND);
        switch (look) {
            case DRILL -> drill(g);
            case DEBURRING -> deburring(g);
            case DIES -> dies(g);
            case CAGE -> cage(g);
            case SQUEEZER -> squeezer(g);
            case GUN -> gun(g);
            case PULLER -> puller(g);
            case DRIVER -> driver(g);
            case WRENCH -> wrench(g);
            case GAUGE -> gauge(g);
            case HANDS -> hands(g);
        }
    }

    /** The look of a tool by its name on the bench. */
    static Look of(String name, Iterable<Tool> crib) {
        Optional<Tool.Kind> kind = Optional.empty();
        for (Tool tool : crib) {
            if (tool.name().equals(name)) {
                kind = Optional.of(tool.kind());
            }
        }
        return kind.map(ToolPicture::of).orElseGet(() -> switch (name) {
            case "drill" -> Look.DRILL;
            case "deburring tool" -> Look.DEBURRING;
            case "dimple dies" -> Look.DIES;
            case "countersink" -> Look.CAGE;
            case "squeezer" -> Look.SQUEEZER;
            case "rivet puller" -> Look.PULLER;
            case "screwdriver" -> Look.DRIVER;
            case "wrench", "torque wrench" -> Look.WRENCH;
            case "rivet gauge", "feeler gauge" -> Look.GAUGE;
            case "reamer" -> Look.DRILL;
            case "rivet nut tool" -> Look.PULLER;
            default -> Look.HANDS;
        });
    }

    private static Look of(Tool.Kind kind) {
        return switch (kind) {
            case STEP_DRILL -> Look.DRILL;
            case YOKE -> Look.SQUEEZER;
            case GUN_AND_BAR, BACK_RIVET -> Look.GUN;
            case PULLED_GUN, HAND_PULLER, NOSE_EXTENSION, WEDGE -> Look.PULLER;
            case WRENCH, SOCKET -> Look.WRENCH;
            case C_FRAME, YOKE_DIES, REDUCED_DIES, FLAT_BAR -> Look.DIES;
            case STOP_CAGE, PILOTED_CUTTER -> Look.CAGE;
        };
    }

    private static void shape(GraphicsContext g, double... xy) {
        double[] x = new double[xy.length / 2];
        double[] y = new double[xy.length / 2];
        for (int i = 0; i < x.length; i++) {
            x[i] = xy[2 * i];
            y[i] = xy[2 * i + 1];
        }
        g.fillPolygon(x, y, x.length);
        g.strokePolygon(x, y, x.length);
    }

    private static void lines(GraphicsContext g, double... xy) {
        double[] x = new double[xy.length / 2];
        double[] y = new double[xy.length / 2];
        Arrays.setAll(x, i -> xy[2 * i]);
        Arrays.setAll(y, i -> xy[2 * i + 1]);
        g.strokePolyline(x, y, x.length);
    }

    private static void drill(GraphicsContext g) {
        shape(g, 4, 16, 22, 16, 22, 24, 4, 24);
        shape(g, 22, 17, 54, 17, 60, 20, 54, 23, 22, 23);
        for (int x = 26; x < 52; x += 7) {
            g.strokeLine(x, 23, x + 5, 17);
        }
    }

    /** A plate with a step: as wide and as high as a head must be. */
    private static void gauge(GraphicsContext g) {
        shape(g, 10, 8, 54, 8, 54, 32, 44, 32, 44, 26, 36, 26, 36, 32, 10, 32);
        g.strokeOval(16, 15, 10, 10);
        lines(g, 34, 36, 46, 36);
    }

    private static void deburring(GraphicsContext g) {
        g.fillRoundRect(4, 14, 30, 12, 10, 10);
        g.strokeRoundRect(4, 14, 30, 12, 10, 10);
        g.strokeLine(34, 20, 44, 20);
        shape(g, 44, 14, 50, 14, 58, 20, 50, 26, 44, 26);
    }

    private static void dies(GraphicsContext g) {
        shape(g, 22, 3, 42, 3, 42, 12, 37, 12, 32, 17, 27, 12, 22, 12);
        shape(g, 22, 25, 27, 25, 32, 30, 37, 25, 42, 25, 42, 37, 22, 37);
        lines(g, 8, 21, 26, 21, 32, 23, 38, 21, 56, 21);
    }

    private static void cage(GraphicsContext g) {
        shape(g, 28, 2, 36, 2, 36, 8, 28, 8);
        shape(g, 20, 8, 44, 8, 44, 20, 20, 20);
        lines(g, 20, 20, 16, 34, 26, 34, 28, 24);
        lines(g, 44, 20, 48, 34, 38, 34, 36, 24);
        shape(g, 28, 24, 36, 24, 32, 36);
    }

    private static void squeezer(GraphicsContext g) {
        shape(g, 8, 4, 48, 4, 56, 10, 56, 14, 44, 10, 20, 10, 20, 30, 44, 30, 56, 26, 56, 30, 48, 36, 8, 36);
        g.strokeLine(51, 14, 51, 17);
        g.strokeLine(51, 26, 51, 23);
    }

    private static void gun(GraphicsContext g) {
        shape(g, 4, 10, 24, 10, 24, 20, 16, 20, 14, 34, 6, 34, 8, 20, 4, 20);
        shape(g, 24, 13, 34, 13, 36, 15, 34, 17, 24, 17);
        g.strokeLine(39, 6, 39, 26);
        shape(g, 44, 6, 60, 6, 60, 26, 44, 26);
    }

    private static void puller(GraphicsContext g) {
        shape(g, 10, 8, 44, 8, 44, 18, 26, 18, 22, 36, 12, 36, 14, 18, 10, 18);
        shape(g, 44, 10, 50, 10, 52, 13, 50, 16, 44, 16);
        g.strokeLine(52, 13, 61, 13);
    }

    private static void driver(GraphicsContext g) {
        g.fillRoundRect(3, 14, 24, 12, 8, 8);
        g.strokeRoundRect(3, 14, 24, 12, 8, 8);
        shape(g, 27, 18, 50, 18, 58, 20, 50, 22, 27, 22);
    }

    private static void wrench(GraphicsContext g) {
        shape(g, 4, 17, 40, 17, 46, 10, 58, 10, 52, 17, 52, 23, 58, 30, 46, 30, 40, 23, 4, 23);
    }

    private static void hands(GraphicsContext g) {
        g.strokeRoundRect(14, 12, 36, 18, 6, 6);
        g.strokeLine(14, 21, 50, 21);
    }
}
