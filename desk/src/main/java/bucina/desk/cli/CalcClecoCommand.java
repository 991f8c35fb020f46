package bucina.desk.cli;

import bucina.core.cleco.ClecoPlan;
import bucina.core.cleco.Mode;
import bucina.core.measure.Length;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/** {@code calc cleco}: the cleco progression of a row. */
@Command(
        name = "cleco",
        mixinStandardHelpOptions = true,
        description = "Where clecos go while a row is drilled, and in which order it is drilled.")
final class CalcClecoCommand implements Callable<Integer> {

    @Mixin
    private Common common;

    @Option(names = "--holes", required = true, description = "How many holes the row has.")
    private int holes;

    @Option(names = "--pitch", description = "Of the row, for the running dimensions of the table.")
    private String pitch;

    @Option(names = "--mode", required = true, description = "middle-out, every-hole, nose-first or ends-in.")
    private String mode;

    @Option(names = "--stock", required = true, description = "Clecos in the bin.")
    private int stock;

    @Option(
            names = "--nearest",
            defaultValue = "2",
            description = "A cleco lies within so many holes on each side of the hole being drilled.")
    private int nearest;

    @Override
    public Integer call() {
        Optional<Length> step =
                Optional.ofNullable(pitch).map(p -> common.lengths().parsePositive(p, "--pitch"));
        ClecoPlan plan = ClecoPlan.of(new ClecoPlan.Row(holes, Mode.parse(mode), stock, nearest));
        common.answer(tree(plan), lines(plan, step));
        return plan.fits() ? Cli.FINE : Cli.FINDINGS;
    }

    static ObjectNode tree(ClecoPlan plan) {
        ObjectNode node = Common.object();
        ArrayNode waves = node.putArray("waves");
        for (ClecoPlan.Wave wave : plan.waves()) {
            ObjectNode each = waves.addObject();
            wave.place().forEach(each.putArray("place")::add);
            wave.drill().forEach(each.putArray("drill")::add);
            wave.remove().forEach(each.putArray("remove")::add);
            each.put("why", wave.why());
        }
        node.put("peak", plan.peak()).put("moves", plan.moves()).put("bound", plan.bound());
        return node.put("least_stock", plan.least());
    }

    private List<String> lines(ClecoPlan plan, Optional<Length> step) {
        List<String> lines = new ArrayList<>();
        if (!plan.fits()) {
            lines.add("A bin of " + plan.row().stock() + " is too small: "
                    + plan.row().mode().code() + " of " + plan.row().holes() + " holes takes at least " + plan.least()
                    + ".");
            return lines;
        }
        lines.add(plan.row().mode().code() + ": " + plan.row().mode().reason() + ". Peak " + plan.peak() + " in use, "
                + plan.moves() + " placed; no plan of this mode places under " + plan.bound() + ".");
        int i = 0;
        for (ClecoPlan.Wave wave : plan.waves()) {
            String what = Stream.of(
                            part("cleco ", wave.place(), Optional.empty()),
                            part("drill ", wave.drill(), step),
                            part("lift ", wave.remove(), Optional.empty()))
                    .filter(p -> !p.isEmpty())
                    .collect(Collectors.joining("; "));
            lines.add("%4d  %s%s".formatted(++i, what, wave.why().isEmpty() ? "" : " (" + wave.why() + ")"));
        }
        lines.add("Never force: if a hole is off, move the rib, not the skin.");
        return lines;
    }

    private String part(String word, List<Integer> holesOf, Optional<Length> step) {
        return holesOf.isEmpty()
                ? ""
                : word
                        + holesOf.stream()
                                .map(h -> h
                                        + step.map(s -> " at " + common.show(s.times(h - 1)))
                                                .orElse(""))
                                .collect(Collectors.joining(", "));
    }
}
