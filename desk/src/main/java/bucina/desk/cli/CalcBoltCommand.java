package bucina.desk.cli;

import bucina.core.bolt.BoltChoice;
import bucina.core.bolt.BoltThread;
import bucina.core.bolt.Nut;
import bucina.core.bolt.Washer;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/** {@code calc bolt}: bolt, washers and torque for a stack. */
@Command(
        name = "bolt",
        mixinStandardHelpOptions = true,
        description = "Bolt, washers and torque for a stack; every combination that fits.")
final class CalcBoltCommand implements Callable<Integer> {

    @Mixin
    private Common common;

    @Option(names = "--thread", required = true, description = "10-32, 1/4-28 or 5/16-24.")
    private String thread;

    @Option(names = "--layers", required = true, description = "Thicknesses: .125,.063")
    private String layers;

    @Option(
            names = "--nut",
            defaultValue = "tension-lock",
            description = "From the catalogue, or kind and height as measured: shear:.16, castle:.25.")
    private String nut;

    @Option(
            names = "--turn",
            defaultValue = "nut",
            description = "What the wrench turns: nut or head. A washer lies under it.")
    private String turn;

    @Option(names = "--drag", defaultValue = "0", description = "Running drag measured on the nut, in-lb.")
    private double drag;

    @Override
    public Integer call() {
        BoltThread of = BoltThread.of(common.catalogue().bolts(), thread);
        Nut with = Nut.of(
                common.catalogue().nuts(), nut, of.name(), h -> common.lengths().parsePositive(h, "--nut height"));
        BoltChoice.Joint joint = joint(of, with);
        BoltChoice choice = BoltChoice.of(joint, common.catalogue().washers());
        ObjectNode node = tree(choice, joint);
        common.answer(node, lines(choice));
        return choice.best().isPresent() ? Cli.FINE : Cli.FINDINGS;
    }

    private BoltChoice.Joint joint(BoltThread of, Nut with) {
        return new BoltChoice.Joint(
                of, common.lengths().parseList(layers, "--layers"), with, BoltChoice.Turn.parse(turn), drag);
    }

    private ObjectNode tree(BoltChoice choice, BoltChoice.Joint joint) {
        ObjectNode node = Common.object();
        choice.best().ifPresentOrElse(f -> node.set("choice", tree(f)), () -> node.putNull("choice"));
        ArrayNode others = node.putArray("alternatives");
        choice.fits().stream().skip(1).forEach(f -> others.add(tree(f)));
        torque(node, joint);
        node.put("why", choice.why().in(common.unit()));
        ArrayNode notes = node.putArray("notes");
        joint.notes().forEach(notes::add);
        return node;
    }

    private static void torque(ObjectNode node, BoltChoice.Joint joint) {
        node.putObject("torque")
                .put("low", joint.torque().low())
                .put("high", joint.torque().high())
                .put("unit", "in-lb");
    }

    private static ObjectNode tree(BoltChoice.Fit fit) {
        ObjectNode node = Common.object().put("designation", fit.bolt().designation());
        node.set("grip", Common.length(fit.bolt().grip()));
        node.set("length", Common.length(fit.bolt().length()));
        washers(node.putArray("washers_head"), fit.underHead());
        washers(node.putArray("washers_nut"), fit.underNut());
        return node.put("threads_showing", fit.showing()).put("full_shank", fit.full());
    }

    private static void washers(ArrayNode array, List<Washer> washers) {
        washers.forEach(w -> array.addObject().put("name", w.name()).set("thickness", Common.length(w.thickness())));
    }

    private List<String> lines(BoltChoice choice) {
        List<String> lines = new ArrayList<>();
        lines.add(choice.best().map(f -> "Use " + words(f)).orElse("No bolt fits"));
        lines.add(choice.why().in(common.unit()));
        BoltChoice.Joint joint = choice.asked();
        torque(lines, joint);
        lines.addAll(joint.notes());
        choice.fits().stream().skip(1).limit(6).forEach(f -> lines.add("  or " + words(f)));
        lines.add("The kit's drawing governs; nothing here is an approval.");
        return lines;
    }

    private void torque(List<String> lines, BoltChoice.Joint joint) {
        lines.add(String.format(
                Locale.ROOT,
                "Torque %.0f to %.0f in-lb on dry threads%s (%s)",
                joint.torque().low(),
                joint.torque().high(),
                drag > 0 && !joint.nut().kind().slotted() ? ", drag added" : "",
                joint.thread().source()));
    }

    private static String words(BoltChoice.Fit f) {
        return f.bolt().designation() + ", under the head " + names(f.underHead()) + ", under the nut "
                + names(f.underNut()) + String.format(Locale.ROOT, ", %.1f threads showing", f.showing());
    }

    private static String names(List<Washer> washers) {
        return washers.isEmpty() ? "none" : washers.stream().map(Washer::name).collect(Collectors.joining(" + "));
    }
}
