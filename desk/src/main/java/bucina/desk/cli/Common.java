package bucina.desk.cli;

import bucina.core.catalogue.Catalogue;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.measure.LengthParser;
import bucina.core.measure.Unit;
import bucina.core.rivet.Shank;
import bucina.core.rule.Finding;
import bucina.core.rule.Level;
import bucina.core.sheet.Point;
import bucina.desk.session.Catalogues;
import bucina.store.file.BuildFile;
import bucina.store.json.Json;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.PrintWriter;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.ITypeConverter;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

/** What every verb takes and how every verb answers. */
final class Common {

    @Spec(Spec.Target.MIXEE)
    private CommandSpec spec;

    @Option(names = "--json", description = "Answer as JSON; lengths are {\"in\": x, \"mm\": y}.")
    private boolean json;

    @Option(
            names = "--unit",
            converter = UnitName.class,
            description = "Unit of bare lengths and of the table: in or mm.")
    private @Nullable Unit unit;

    /** {@code in} or {@code mm}. */
    static final class UnitName implements ITypeConverter<Unit> {
        @Override
        public Unit convert(String value) {
            return switch (value) {
                case "in", "inch" -> Unit.INCH;
                case "mm" -> Unit.MM;
                default ->
                    throw new picocli.CommandLine.TypeConversionException(
                            "\"" + value + "\" is no unit here: write in or mm");
            };
        }
    }

    private @Nullable Catalogue catalogue;

    boolean json() {
        return json;
    }

    Unit unit() {
        return unit == null ? Unit.INCH : unit;
    }

    /** The unit where the call names one. */
    Optional<Unit> unitGiven() {
        return Optional.ofNullable(unit);
    }

    /** A file just opened or made: what was found beside it and put aside is said. */
    BuildFile told(BuildFile file) {
        PrintWriter err = spec.commandLine().getErr();
        file.said().forEach(sentence -> err.println("bucina: " + sentence));
        return file;
    }

    PrintWriter out() {
        return spec.commandLine().getOut();
    }

    /** The top command, for its clock. */
    Cli top() {
        return (Cli) spec.root().userObject();
    }

    /** The tables, read once for a call. */
    Catalogue catalogue() {
        if (catalogue == null) {
            Catalogues.InForce read = Catalogues.read();
            PrintWriter err = spec.commandLine().getErr();
            read.said().forEach(sentence -> err.println("bucina: " + sentence));
            catalogue = read.catalogue();
        }
        return catalogue;
    }

    LengthParser lengths() {
        return new LengthParser(unit(), catalogue().drills());
    }

    /** Reads a nominal shank as people write it; thousandths are taken for the fraction only where inches are meant. */
    Length shank(String text) {
        return unit() == Unit.INCH
                ? Shank.parse(text, lengths(), "--diameter")
                : lengths().parsePositive(text, "--diameter");
    }

    /** Reads {@code --head} where only flush or not matters. */
    boolean flush(String head) {
        return switch (head) {
            case "flush", "reduced" -> true;
            case "universal" -> false;
            default -> throw wrong("--head \"" + head + "\" is not known: write flush or universal");
        };
    }

    /** Reads points as {@code X,Y;X,Y}. */
    List<Point> points(String text, String name) {
        List<Point> points = new ArrayList<>();
        for (String part : text.split(";", -1)) {
            String[] pair = part.split(",", -1);
            if (pair.length != 2) {
                throw wrong(name + ": \"" + part
                        + "\" is not a point: write two lengths with a comma, points with a semicolon, like 1,.5;2,.5");
            }
            points.add(Point.at(lengths().parse(pair[0]), lengths().parse(pair[1])));
        }
        return points;
    }

    String show(Length length) {
        return LengthFormat.trade(length, unit());
    }

    /** Prints the tree if JSON is asked for, otherwise the lines. */
    void answer(JsonNode tree, List<String> lines) {
        if (json) {
            out().println(Json.pretty(tree));
        } else {
            lines.forEach(out()::println);
        }
        out().flush();
    }

    static ObjectNode object() {
        return JsonNodeFactory.instance.objectNode();
    }

    static ArrayNode array() {
        return JsonNodeFactory.instance.arrayNode();
    }

    static JsonNode length(Length length) {
        return object().put("in", length.in()).put("mm", length.mm());
    }

    static JsonNode length(Optional<Length> length) {
        return length.<JsonNode>map(Common::length).orElse(JsonNodeFactory.instance.nullNode());
    }

    static ObjectNode point(Point p) {
        ObjectNode at = object();
        at.set("x", length(p.across()));
        at.set("y", length(p.up()));
        return at;
    }

    /** Findings as a tree, in the shape the contract gives. */
    ArrayNode findings(List<Finding> findings) {
        ArrayNode array = array();
        for (Finding f : findings) {
            finding(array, f);
        }
        return array;
    }

    private void finding(ArrayNode array, Finding f) {
        ObjectNode node = array.addObject()
                .put("rule", f.rule().code())
                .put("level", f.level().code())
                .put("face", f.place().face())
                .put("group", f.place().group())
                .put("hole", f.place().hole())
                .put("layer", f.place().layer());
        node.set("measured", length(f.measured()));
        node.set("required", length(f.required()));
        node.put("source", f.source())
                .put("message", f.message().in(unit()))
                .put("remedy", f.remedy().in(unit()))
                .put("accepted", f.accepted().orElse(null));
    }

    /** One line for a finding. */
    String line(Finding f) {
        return "%-7s %s %s"
                .formatted(
                        f.level().code(),
                        f.message().in(unit()),
                        f.accepted()
                                .map(a -> "Accepted: " + a)
                                .orElse(f.remedy().in(unit())));
    }

    static int exit(List<Finding> findings) {
        return findings.stream()
                        .anyMatch(f -> f.level() == Level.ERROR && f.accepted().isEmpty())
                ? Cli.FINDINGS
                : Cli.FINE;
    }

    static InputException wrong(String sentence) {
        return new InputException(sentence);
    }
}
