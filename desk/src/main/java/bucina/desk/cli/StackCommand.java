package bucina.desk.cli;

import bucina.core.measure.Length;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.sheet.Point;
import bucina.core.stack.Derivation;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

/** {@code stack FILE --face NAME --at X,Y}: the sheets at a point. */
@Command(
        name = "stack",
        mixinStandardHelpOptions = true,
        description = "The sheets that cover a point of a face, near side first, and their grip.")
final class StackCommand extends OnBuild implements Callable<Integer> {

    @Option(names = "--face", required = true, description = "Name of the face: \"Upper skin\"")
    private String face;

    @Option(names = "--at", required = true, description = "Where: X,Y along the face's axes.")
    private String at;

    @Override
    public Integer call() {
        Opened opened = open();
        Build build = opened.build();
        Face found = face(build, face);
        String[] parts = at.split(",", -1);
        if (parts.length != 2) {
            throw Common.wrong("--at \"" + at + "\" is not a point: write two lengths with a comma, like 12.5,-.47");
        }
        Point point =
                Point.at(common().lengths().parse(parts[0]), common().lengths().parse(parts[1]));
        List<Layer> layers = Derivation.covering(found, point);
        ObjectNode node = Common.object();
        ArrayNode list = node.putArray("layers");
        List<String> lines = new ArrayList<>();
        for (Layer layer : layers) {
            Part part = build.parts().stream()
                    .filter(p -> p.id().equals(layer.part()))
                    .findFirst()
                    .orElseThrow();
            ObjectNode each = list.addObject()
                    .put("name", layer.name())
                    .put("part", part.name())
                    .put("material", part.material().code());
            each.set("thickness", Common.length(layer.thickness()));
            each.set("edge_distance", Common.length(layer.outline().edgeDistance(point)));
            lines.add("%-28s %10s  %s"
                    .formatted(
                            layer.name(),
                            common().show(layer.thickness()),
                            part.material().code()));
        }
        Length grip = layers.stream().map(Layer::thickness).reduce(Length.ZERO, Length::plus);
        node.set("grip", Common.length(grip));
        lines.add("%-28s %10s".formatted("Grip", common().show(grip)));
        common().answer(node, lines);
        return layers.isEmpty() ? Cli.FINDINGS : Cli.FINE;
    }

    static Face face(Build build, String name) {
        return build.face(name)
                .orElseThrow(() -> Common.wrong("there is no face \"" + name + "\"; this build has "
                        + build.faces().stream().map(f -> f.face().name()).collect(Collectors.joining(", "))))
                .face();
    }
}
