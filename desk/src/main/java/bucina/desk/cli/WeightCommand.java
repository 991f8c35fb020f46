package bucina.desk.cli;

import bucina.core.stack.Derivation;
import bucina.core.weight.BuildWeight;
import bucina.core.weight.FastenerWeight;
import bucina.core.weight.OnTheScale;
import bucina.core.weight.PartWeight;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;

/** {@code weight FILE}: what the planned structure weighs. */
@Command(
        name = "weight",
        mixinStandardHelpOptions = true,
        description = "What parts weigh by their drawing, and fasteners by their shape.")
final class WeightCommand extends OnBuild implements Callable<Integer> {

    @Override
    public Integer call() {
        Derivation derivation = open().derivation();
        BuildWeight weight = BuildWeight.of(derivation);
        ObjectNode node = Common.object();
        ArrayNode parts = node.putArray("parts");
        List<String> lines = new ArrayList<>();
        for (PartWeight part : weight.parts()) {
            ObjectNode one = parts.addObject().put("name", part.part().name());
            part.pounds().ifPresentOrElse(p -> one.set("mass", mass(p)), () -> one.putNull("mass"));
            lines.add("%-28s %s".formatted(part.part().name(), show(part.pounds())));
        }
        node.set("fasteners", mass(weight.fasteners()));
        node.set("primer", mass(weight.primer()));
        node.set("total", mass(weight.total()));
        node.set("larger_washers_add", mass(weight.larger()));
        ArrayNode assemblies = node.putArray("assemblies");
        OnTheScale.of(derivation).forEach(s -> {
            ObjectNode one = assemblies.addObject().put("name", s.assembly().name());
            one.set("drawn", mass(s.pounds()));
            s.scale()
                    .ifPresentOrElse(
                            w -> one.set("scale", mass(w.grams() / FastenerWeight.GRAMS)), () -> one.putNull("scale"));
        });
        ObjectNode without = node.putObject("without");
        weight.without().forEach(without::put);
        lines.add("%-28s %s".formatted("fasteners", show(Optional.of(weight.fasteners()))));
        if (weight.primer() > 0) {
            lines.add("%-28s %s".formatted("primer, typical", show(Optional.of(weight.primer()))));
        }
        lines.add("%-28s %s".formatted("total", show(Optional.of(weight.total()))));
        if (!weight.without().isEmpty()) {
            lines.add("Not in it: " + String.join(", ", weight.without().keySet()) + ". The scale governs.");
        }
        common().answer(node, lines);
        return Cli.FINE;
    }

    private static ObjectNode mass(double pounds) {
        return Common.object().put("kg", pounds * FastenerWeight.GRAMS / 1000).put("lb", pounds);
    }

    private static String show(Optional<Double> pounds) {
        return pounds.map(p -> String.format(Locale.ROOT, "%.3f lb   %.3f kg", p, p * FastenerWeight.GRAMS / 1000))
                .orElse("no density for its alloy here");
    }
}
