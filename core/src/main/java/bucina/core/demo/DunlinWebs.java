package bucina.core.demo;

import static bucina.core.demo.Planform.half;
import static bucina.core.demo.Planform.quad;
import static bucina.core.demo.Planform.rearHalf;
import static bucina.core.demo.Planform.rib;

import bucina.core.measure.Length;
import bucina.core.plan.Face;
import bucina.core.plan.Fastener;
import bucina.core.plan.Group;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.plan.Row;
import bucina.core.rivet.HeadStyle;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import bucina.core.sheet.Ring;
import java.util.ArrayList;
import java.util.List;

/** The webs of its two spars. */
final class DunlinWebs {

    private static final Fastener WEB = new Fastener.SolidRivet(HeadStyle.UNIVERSAL, "AD", 4);

    private final DunlinParts parts;
    private final Sketch sketch;

    DunlinWebs(DunlinParts parts) {
        this.parts = parts;
        this.sketch = parts.sketch;
    }

    Face main() {
        Outline web = spar();
        List<Layer> layers = webLayers(web);
        List<Row> ribs = ribTabs();
        List<Group> groups = List.of(
                sketch.group(
                        "MW-1",
                        "Web doubler",
                        WEB,
                        "MS20470AD4",
                        List.of(
                                sketch.row("R1", Sketch.stations(1.42, .9, 4.5, 9.9, 12.1, 17.9, 20.1, 21)),
                                sketch.row("R2", Sketch.stations(-1.42, .9, 4.5, 9.9, 12.1, 17.9, 20.1, 21)))),
                sketch.group("MW-2", "Rib tabs", WEB, "MS20470AD4", ribs),
                sketch.group(
                        "MW-3",
                        "Hinge bolts",
                        new Fastener.Hardware("AN4-6A", Length.in(.25), Length.in(.25), false),
                        "4x AN4-6A",
                        List.of(sketch.row(
                                "R12",
                                List.of(
                                        Point.in(13.9, .55),
                                        Point.in(16.1, .55),
                                        Point.in(16.1, -.55),
                                        Point.in(13.9, -.55))))));
        return sketch.face("Main spar web", "from ahead, looking aft", "up", layers, groups);
    }

    private List<Row> ribTabs() {
        List<Row> ribs = new ArrayList<>();
        for (int i = 0; i < DunlinParts.RIBS.length; i++) {
            double h = half(DunlinParts.shape(i)) - .72;
            ribs.add(sketch.row("R" + (3 + i), DunlinParts.RIBS[i], -h, DunlinParts.RIBS[i], h, .8));
        }
        return ribs;
    }

    private List<Layer> webLayers(Outline web) {
        List<Layer> layers = new ArrayList<>();
        for (int i = 0; i < DunlinParts.RIBS.length; i++) {
            layers.add(tab(
                    parts.noseRibs.get(i),
                    "Nose rib " + (i + 1) + " tab",
                    .025,
                    DunlinParts.RIBS[i],
                    half(DunlinParts.RIBS[i]) - .3,
                    .31));
        }
        layers.add(sketch.layer(parts.hingePlate, "Hinge plate", .125, quad(1, new double[][] {
            {13.2, -1.1}, {16.8, -1.1}, {16.8, 1.1}, {13.2, 1.1}
        })));
        layers.add(sketch.layer(parts.mainSpar, "Main spar web", .063, web));
        layers.add(sketch.layer(parts.webDoubler, "Spar web doubler", .063, quad(1, new double[][] {
            {.2, -2}, {21, -1.85}, {24.5, -.7}, {24.5, .7}, {21, 1.85}, {.2, 2}
        })));
        for (int i = 0; i < DunlinParts.RIBS.length; i++) {
            // Main rib 6 came with a narrow tab: the edge is a little short.
            layers.add(tab(
                    parts.mainRibs.get(i),
                    "Main rib " + (i + 1) + " tab",
                    .032,
                    DunlinParts.RIBS[i],
                    half(DunlinParts.shape(i)) - .3,
                    i == 5 ? .235 : .31));
        }
        return layers;
    }

    private static Outline spar() {
        List<Ring> lightening = new ArrayList<>();
        for (double x : new double[] {31, 39, 47}) {
            lightening.add(Ring.circle(Point.in(x, 0), Length.in(.8)));
        }
        return new Outline(
                quad(1, new double[][] {{.1, -half(0)}, {57.6, -half(57.6)}, {57.6, half(57.6)}, {.1, half(0)}})
                        .outer(),
                lightening);
    }

    private Layer tab(Part part, String name, double thickness, double x, double h, double halfWidth) {
        return sketch.layer(part, name, thickness, rib(1, x, h, -h, halfWidth));
    }

    Face rear() {
        List<Layer> layers = new ArrayList<>();
        for (int i = 0; i < DunlinParts.RIBS.length; i++) {
            layers.add(tab(
                    parts.mainRibs.get(i),
                    "Main rib " + (i + 1) + " rear tab",
                    .032,
                    DunlinParts.RIBS[i],
                    rearHalf(DunlinParts.shape(i)) - .15,
                    .3));
        }
        layers.add(sketch.layer(parts.rearSpar, "Rear spar web", .040, quad(1, new double[][] {
            {.1, -rearHalf(.1)}, {57.6, -rearHalf(57.6)}, {57.6, rearHalf(57.6)}, {.1, rearHalf(.1)}
        })));
        layers.add(sketch.layer(parts.rearDoubler, "Rear spar doubler", .040, quad(1, new double[][] {
            {24, -1.1}, {46, -.98}, {46, .98}, {24, 1.1}
        })));
        for (int i = 0; i < DunlinParts.AFT_RIBS.length; i++) {
            double x = DunlinParts.RIBS[DunlinParts.AFT_RIBS[i]];
            layers.add(tab(
                    parts.aftRibs.get(i),
                    "Aft rib " + (DunlinParts.AFT_RIBS[i] + 1) + " tab",
                    .025,
                    x,
                    rearHalf(x) - .15,
                    .3));
        }
        List<Row> ribs = new ArrayList<>();
        for (int i = 0; i < DunlinParts.RIBS.length; i++) {
            double h = rearHalf(DunlinParts.shape(i)) - .5;
            ribs.add(sketch.row("R" + (2 + i), DunlinParts.RIBS[i], -h, DunlinParts.RIBS[i], h, .55));
        }
        Fastener small = new Fastener.SolidRivet(HeadStyle.UNIVERSAL, "AD", 3);
        List<Group> groups = List.of(
                sketch.group("RW-1", "Rib tabs", small, "MS20470AD3", ribs),
                sketch.group(
                        "RW-2",
                        "Doubler",
                        small,
                        "MS20470AD3",
                        List.of(sketch.row(
                                "R1", Sketch.stations(0, .9, 24.6, 26.1, 27.9, 34.1, 35.9, 42.1, 43.9, 45.4)))));
        return sketch.face("Rear spar web", "from ahead, looking aft", "up", layers, groups);
    }
}
