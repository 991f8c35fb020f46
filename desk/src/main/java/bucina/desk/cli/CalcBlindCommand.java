package bucina.desk.cli;

import bucina.core.blind.BlindChoice;
import bucina.core.blind.BlindRivet;
import bucina.core.measure.Length;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/** {@code calc blind}: the length of a pulled rivet, with the room it needs behind. */
@Command(
        name = "blind",
        mixinStandardHelpOptions = true,
        description = "Length of a pulled rivet for a stack, and the room it needs behind.")
final class CalcBlindCommand implements Callable<Integer> {

    private static final String NOT_STRUCTURAL =
            "ISO 15977 and 15978 are no structural aircraft rivets: only where the kit calls for them.";

    @Mixin
    private Common common;

    @Option(
            names = "--family",
            required = true,
            description = "iso15977 (domed), iso15978 (120 degree flush) or structural-16 (grip dash).")
    private String family;

    @Option(names = "--diameter", required = true, description = "Body diameter: '3.2 mm'")
    private String diameter;

    @Option(names = "--layers", required = true, description = "Thicknesses: '0.6 mm,0.8 mm,1.6 mm'")
    private String layers;

    @Option(names = "--room", description = "What is free behind the stack.")
    private String room;

    @Override
    public Integer call() {
        List<BlindRivet> lengths = common.catalogue().blind().lengths(family, common.shank(diameter));
        Length grip = common.lengths().parseList(layers, "--layers").stream().reduce(Length.ZERO, Length::plus);
        Optional<Length> free =
                Optional.ofNullable(room).map(r -> common.lengths().parsePositive(r, "--room"));
        BlindChoice choice = BlindChoice.of(lengths, grip, free);
        ObjectNode node = Common.object();
        node.set("grip", Common.length(grip));
        if (choice.rivet().isPresent()) {
            ObjectNode picked = rivet(choice.rivet().get(), grip);
            picked.set("cut_to", Common.length(choice.cutTo()));
            node.set("choice", picked);
        } else {
            node.putNull("choice");
        }
        node.put("why", choice.why().in(common.unit()));
        ArrayNode candidates = node.putArray("candidates");
        lengths.forEach(c -> candidates.add(rivet(c, grip).put("grips", c.grips(grip))));
        List<String> lines = new ArrayList<>();
        lines.add("Use       " + choice.rivet().map(BlindRivet::name).orElse("none")
                + choice.cutTo().map(c -> ", cut to " + common.show(c)).orElse(""));
        lines.add("          " + choice.why().in(common.unit()));
        lines.add("Grip      " + common.show(grip));
        choice.rivet()
                .flatMap(r -> r.needsBehind(grip))
                .ifPresent(n -> lines.add("Behind    " + common.show(n) + " with the mandrel head, before setting"));
        for (BlindRivet c : lengths) {
            lines.add("%-12s %10s to %10s%s"
                    .formatted(
                            c.name(),
                            common.show(c.gripMin()),
                            common.show(c.gripMax()),
                            c.grips(grip) ? "  grips" : ""));
        }
        if (family.startsWith("iso")) {
            node.put("caution", NOT_STRUCTURAL);
            lines.add(NOT_STRUCTURAL);
        }
        lines.add("Typical figures: the maker's table governs. Spent mandrels are counted out of a bay before it "
                + "closes.");
        common.answer(node, lines);
        return choice.rivet().isPresent() ? Cli.FINE : Cli.FINDINGS;
    }

    private static ObjectNode rivet(BlindRivet r, Length grip) {
        ObjectNode node = Common.object().put("name", r.name());
        node.set("length", Common.length(r.length()));
        node.set("grip_min", Common.length(r.gripMin()));
        node.set("grip_max", Common.length(r.gripMax()));
        node.set("stands_behind", Common.length(r.standsBehind(grip)));
        node.set("needs_behind", Common.length(r.needsBehind(grip)));
        return node.put("source", r.source());
    }
}
