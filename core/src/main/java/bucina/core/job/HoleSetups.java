package bucina.core.job;

import bucina.core.catalogue.Catalogue;
import bucina.core.dress.Dress;
import bucina.core.measure.DrillSize;
import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.measure.Unit;
import bucina.core.plan.Come;
import bucina.core.plan.Fastener;
import bucina.core.plan.Layer;
import bucina.core.plan.Tool;
import bucina.core.setup.Stretch;
import bucina.core.stack.Bolted;
import bucina.core.stack.HoleReading;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What is set up for work on holes. */
final class HoleSetups {

    /** Said where the crib has a tool for it, and none gets there. */
    private static final String NONE = "no tool of the crib gets there";

    private final Catalogue catalogue;
    private final Paces paces;

    HoleSetups(Catalogue catalogue, Paces paces) {
        this.catalogue = catalogue;
        this.paces = paces;
    }

    /** For an operation that is marked; the tool is empty where nothing reaches. */
    Setup marked(Op op, HoleReading hole, Layer layer, Optional<Tool> tool, String side) {
        Setup setup = reached(op, hole, layer, tool, side);
        return tool.isEmpty() && (op == Op.DIMPLE || op == Op.COUNTERSINK) ? setup.saying(NONE) : setup;
    }

    private Setup reached(Op op, HoleReading hole, Layer layer, Optional<Tool> tool, String side) {
        return switch (op) {
            case MATCH -> drill(through(hole), side);
            case FINAL, CLEAR -> drill(hole.solution().hole(), side);
            case DIMPLE -> dimple(hole, tool, side);
            case COUNTERSINK -> countersink(hole, layer, tool, side);
            case REAM -> {
                String reamer = LengthFormat.trade(hole.solution().hole(), Unit.INCH);
                yield new Setup("reamer", reamer, "", side, List.of(item("reamer", "size", reamer, "drill")));
            }
            default -> new Setup("deburring tool", "", "", side, List.of());
        };
    }

    private Setup drill(Length diameter, String side) {
        String bit = catalogue
                .drills()
                .named(diameter)
                .map(DrillSize::name)
                .orElseGet(() -> LengthFormat.trade(diameter, Unit.INCH));
        return new Setup("drill", bit, "", side, List.of(item("drill", "bit", bit, "drill")));
    }

    /** For what is done to a bolt that is in; the tool is empty where nothing reaches. */
    Setup bolt(Op op, HoleReading hole, Optional<Tool> with, String side) {
        Optional<Bolted> bolt = hole.solution().bolt();
        if (op != Op.TORQUE) {
            String tool = op == Op.STRIPE ? "torque stripe" : op == Op.WIRE ? "safety wire and pliers" : "cotter pins";
            return new Setup(tool, "", "", side, List.of());
        }
        String socket = bolt.map(Bolted::socket).orElse("socket");
        String torque = bolt.map(Bolted::torqueWords).orElse("as its maker says");
        boolean open = with.filter(t -> t.kind() == Tool.Kind.WRENCH).isPresent();
        Setup setup = new Setup(
                "torque wrench",
                open ? socket.replace("socket", "open end") + ", square to it" : socket,
                torque,
                side,
                List.of());
        return with.isEmpty() && !hole.layers().isEmpty() ? setup.saying(NONE) : setup;
    }

    /** For measuring heads; nothing is turned over for it. */
    Setup prove(Fastener fastener) {
        return new Setup(
                fastener instanceof Fastener.PulledRivet ? "feeler gauge" : "rivet gauge", "", "", "", List.of());
    }

    private Setup.Item item(String tool, String part, String value, String change) {
        return new Setup.Item(tool + " " + part, value, paces.change(change));
    }

    /** The size of the sheet that leads: the drill goes through its holes. */
    private static Length through(HoleReading hole) {
        return hole.layers().stream()
                .map(l -> l.holes().of(hole.row().id()))
                .filter(c -> c.state().there())
                .flatMap((Come c) -> c.diameter().stream())
                .reduce(Length::min)
                .orElse(hole.solution().hole());
    }

    private Setup dimple(HoleReading hole, Optional<Tool> tool, String side) {
        int angle = hole.group().holes().dieAngle().orElse(100);
        String die = LengthFormat.trade(hole.solution().fastener().shank(), Unit.INCH) + " " + angle + "° dies";
        String name = tool.map(Tool::name).orElse("dimple dies");
        return new Setup(name, die, "", side, List.of(item(name, "dies", die, "die")));
    }

    private Setup countersink(HoleReading hole, Layer layer, Optional<Tool> tool, String side) {
        int at = hole.layers().indexOf(layer);
        double above = 0;
        for (int i = 0; i < at; i++) {
            above += hole.solution().dressing().plies().get(i).dress() == Dress.DIMPLE
                    ? hole.layers().get(i).thickness().nanometres()
                    : 0;
        }
        String cutter = LengthFormat.trade(hole.solution().fastener().shank(), Unit.INCH) + " cutter for "
                + hole.solution().fastener().name();
        String depth = above > 0
                ? "nest under " + LengthFormat.trade(Length.nm(above), Unit.INCH) + " of dimpled sheet"
                : "flush";
        String name = tool.map(Tool::name).orElse("countersink");
        return new Setup(name, cutter, depth, side, List.of(item(name, "cage", cutter + ", " + depth, "cage")));
    }

    /** For setting; one gap serves one stretch. */
    Setup set(HoleReading hole, Stretch stretch, Optional<Tool> tool, String side) {
        boolean rivet = hole.solution().fastener() instanceof Fastener.SolidRivet
                || hole.solution().fastener() instanceof Fastener.PulledRivet;
        Setup dry = rivet && tool.isEmpty() && !hole.layers().isEmpty()
                ? dry(hole, stretch, tool, side).saying(NONE)
                : dry(hole, stretch, tool, side);
        return hole.group().holes().wet() ? dry.saying("wet") : dry;
    }

    private Setup dry(HoleReading hole, Stretch stretch, Optional<Tool> tool, String side) {
        return switch (hole.solution().fastener()) {
            case Fastener.SolidRivet r -> solid(r, stretch, tool, side);
            case Fastener.PulledRivet r -> pulled(r, tool, side);
            case Fastener.Hardware h ->
                new Setup(
                        h.permanent() ? "wrench" : "screwdriver",
                        hole.solution().designation().orElse(h.name()),
                        "",
                        side,
                        List.of());
            case Fastener.RivetNut n -> rivetNut(n, side);
        };
    }

    private Setup solid(Fastener.SolidRivet rivet, Stretch stretch, Optional<Tool> tool, String side) {
        String name = tool.map(Tool::name).orElse("squeezer");
        String set = "set for " + rivet.name();
        List<Setup.Item> items = new ArrayList<>(List.of(item(name, "set", set, "die")));
        boolean squeezed = tool.filter(HoleSetups::driven).isEmpty();
        String gap = squeezed
                ? stretch.gap().map(g -> LengthFormat.decimal(g, Unit.INCH, 3)).orElse("")
                : "";
        if (!gap.isEmpty()) {
            items.add(item(name, "gap", gap, "gap"));
        }
        return new Setup(name, set, gap.isEmpty() ? "" : "gap " + gap, side, items);
    }

    /** Driven with a gun, so that no gap is set. */
    private static boolean driven(Tool tool) {
        return tool.kind() == Tool.Kind.GUN_AND_BAR || tool.kind() == Tool.Kind.BACK_RIVET;
    }

    private Setup pulled(Fastener.PulledRivet rivet, Optional<Tool> tool, String side) {
        String name = tool.map(Tool::name).orElse("rivet puller");
        String nose = LengthFormat.trade(rivet.diameter(), Unit.MM) + " nose";
        return new Setup(name, nose, "", side, List.of(item(name, "nose", nose, "nose")));
    }

    private Setup rivetNut(Fastener.RivetNut nut, String side) {
        String tool = "rivet nut tool";
        String mandrel = nut.thread() + " mandrel";
        String stroke = LengthFormat.trade(nut.stroke(), Unit.MM);
        return new Setup(
                tool,
                mandrel,
                "stroke " + stroke + ", a drop of thread lock",
                side,
                List.of(item(tool, "mandrel", mandrel, "nose")));
    }

    /** How one fastener goes in, as the table of minutes names it. */
    static String way(HoleReading hole, Optional<Tool> tool, boolean plate) {
        return switch (hole.solution().fastener()) {
            case Fastener.SolidRivet r when plate -> "set.nutplate";
            case Fastener.SolidRivet r -> tool.filter(HoleSetups::driven).isPresent() ? "set.gun" : "set.squeeze";
            case Fastener.PulledRivet r -> "set.pull";
            case Fastener.Hardware h -> h.permanent() ? "set.bolt" : "set.screw";
            case Fastener.RivetNut n -> "set.rivet-nut";
        };
    }
}
