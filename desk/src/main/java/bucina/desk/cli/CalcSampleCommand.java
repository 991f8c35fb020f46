package bucina.desk.cli;

import bucina.core.prove.Sample;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/** {@code calc sample}: which heads of a group are measured. */
@Command(
        name = "sample",
        mixinStandardHelpOptions = true,
        description = "Which heads of a group are measured, by their numbers in setting order.")
final class CalcSampleCommand implements Callable<Integer> {

    @Mixin
    private Common common;

    @Option(names = "--count", required = true, description = "How many fasteners the group has.")
    private int count;

    @Option(names = "--failed", defaultValue = "0", description = "How many of those measured failed.")
    private int failed;

    @Override
    public Integer call() {
        List<Integer> holes = Sample.of(count, failed);
        ObjectNode node = Common.object();
        ArrayNode numbers = node.putArray("holes");
        holes.forEach(numbers::add);
        common.answer(
                node,
                List.of("Measure " + holes.size() + " of " + count + ": "
                        + holes.stream().map(String::valueOf).collect(Collectors.joining(", "))));
        return Cli.FINE;
    }
}
