package bucina.desk.cli;

import bucina.core.callout.Callout;
import bucina.core.drawing.Intake;
import bucina.core.drawing.Question;
import bucina.core.drawing.Understood;
import bucina.core.guard.BroughtLog;
import bucina.core.log.Logbook;
import bucina.core.material.Material;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.plan.Build;
import bucina.core.stack.Derivation;
import bucina.desk.session.Bringing;
import bucina.store.Document;
import bucina.store.drawing.Progress;
import bucina.store.file.BuildFile;
import bucina.store.json.BuildJson;
import bucina.store.json.Json;
import bucina.store.table.DecimalMark;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.concurrent.Callable;
import java.util.function.Function;
import java.util.function.ToIntFunction;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.ITypeConverter;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.TypeConversionException;

/** {@code import IN --from FORMAT --out FILE}: a new build from an open format. */
@Command(name = "import", mixinStandardHelpOptions = true, description = "Makes a new build file from an open format.")
final class ImportCommand implements Callable<Integer> {

    @Mixin
    private Common common;

    @Parameters(index = "0", paramLabel = "IN", description = "The file to read.")
    private Path in;

    @Option(names = "--from", required = true, description = "json, dxf, svg or csv")
    private String from;

    @Option(
            names = "--inside",
            converter = InsideName.class,
            description = "What closed lines in a sheet of another layer are: openings of it, or sheets on it.")
    private @Nullable String inside;

    @Option(names = "--decimal", description = "What stands before decimals in a table: point or comma.")
    private @Nullable String decimal;

    @Option(names = "--face", description = "Name of the face made of a drawing; left out: the file's name.")
    private @Nullable String face;

    @Option(names = "--thickness", description = "Thickness of sheets whose drawing tells none: .025 in")
    private @Nullable String thickness;

    @Option(names = "--fastener", defaultValue = "MS20426AD3", description = "What goes into the holes.")
    private String fastener;

    @Option(names = "--material", defaultValue = "2024-T3", description = "Material of the sheets.")
    private String material;

    @Option(
            names = "--because",
            defaultValue = "",
            description =
                    "Why entries without a reason set holes that were not ready, or marks come early; kept with them."
                            + " With a drawing: that an odd thickness is meant, or why the unit is another than the"
                            + " file says.")
    private String because;

    @Option(names = "--out", required = true, description = "The new build file.")
    private Path out;

    /** {@code openings} or {@code sheets}. */
    static final class InsideName implements ITypeConverter<String> {
        @Override
        public String convert(String value) {
            if (!value.equals("openings") && !value.equals("sheets")) {
                throw new TypeConversionException("\"" + value + "\" is not known: write openings or sheets");
            }
            return value;
        }
    }

    @Override
    public Integer call() {
        return from.equals("json") ? json() : drawing();
    }

    private int json() {
        Document document = document();
        common.told(BuildFile.create(out, document)).close();
        common.answer(Common.object().put("out", out.toString()), List.of("Made " + out));
        return Cli.FINE;
    }

    private Document document() {
        Document document;
        try (InputStream stream = new BufferedInputStream(Files.newInputStream(in))) {
            JsonNode tree = Json.read(stream);
            document = judged(BuildJson.read(tree), BuildJson.version(tree));
        } catch (IOException e) {
            throw new InputException(in + " cannot be read: " + e.getMessage() + ". Give the path of a JSON export", e);
        } catch (InputException e) {
            throw new InputException(in + ": " + e.getMessage(), e);
        } catch (OutOfMemoryError e) {
            throw new InputException(in + " is too large for the memory of this computer: is it a Bucina export?", e);
        }
        return document;
    }

    /** Builds of versions before 5 did not follow holes: their entries come in as they are. */
    private Document judged(Document document, int version) {
        if (version < 5) {
            return document;
        }
        Derivation derivation = Derivation.of(document.build(), common.catalogue());
        return new Document(
                document.build(), new BroughtLog(derivation, document.log()).accepted(because), document.photos());
    }

    /** What is brought in, by the names that its faces get. */
    private record Faces(Map<String, Intake> each, Bringing brought, String unitFrom) {

        int sum(ToIntFunction<Intake> figure) {
            return each.values().stream().mapToInt(figure).sum();
        }

        /** Sentences about each, with its name where there are several. */
        List<String> say(Function<Intake, List<String>> about) {
            return each.entrySet().stream()
                    .flatMap(e ->
                            about.apply(e.getValue()).stream().map(s -> each.size() > 1 ? e.getKey() + ": " + s : s))
                    .toList();
        }
    }

    private Bringing brought() {
        boolean given = common.unitGiven().isPresent();
        Bringing.Said said = new Bringing.Said(
                common.unit(),
                given,
                given && !because.isBlank() && !from.equals("csv"),
                Optional.ofNullable(inside)
                        .map(i -> i.equals("openings") ? Intake.Inside.OPENINGS : Intake.Inside.SHEETS),
                Optional.ofNullable(decimal).map(DecimalMark::of));
        return Bringing.read(
                in, Bringing.Format.of(from), said, common.catalogue().drills(), Progress.NONE);
    }

    private Faces faces(String stem, Bringing brought, Intake.Choices choices) {
        Map<String, Intake> each = new LinkedHashMap<>();
        if (face != null) {
            each.put(face.strip(), brought.intake().with(choices));
        } else {
            brought.faces().forEach((name, intake) -> each.put(name.isBlank() ? stem : name, intake.with(choices)));
        }
        String says = brought.says()
                .map(u -> (from.equals("csv") ? "the table: " : "the file: ") + u.name())
                .orElse(common.unitGiven().isPresent() ? "--unit" : "nobody");
        boolean against = brought.against();
        return new Faces(each, brought, against ? "--unit, against " + says + ", because " + because : says);
    }

    /** What is open, each with the option that answers it. */
    private List<Asked> asked(Bringing brought) {
        List<Asked> asked = new ArrayList<>();
        brought.asked().forEach(q -> asked.add(asked(q)));
        return asked;
    }

    private static Asked asked(Question q) {
        if (q.code().equals("against")) {
            return new Asked(
                    q,
                    "--because",
                    q.sentence() + ": leave --unit out to go by the file, or say with --because why the file is wrong");
        }
        String options =
                q.answers().stream().map(a -> "--" + q.code() + " " + a).collect(Collectors.joining(" or "));
        return new Asked(q, "--" + q.code(), q.sentence() + ": add " + options);
    }

    /** A question with the option that answers it. */
    private record Asked(Question question, String option, String sentence) {}

    private Intake.Choices choices() {
        return new Intake.Choices(
                Optional.ofNullable(thickness).map(t -> common.lengths().parsePositive(t, "--thickness")),
                !because.isBlank(),
                Callout.parse(fastener).fastener(),
                Material.parse(material),
                common.catalogue());
    }

    private int drawing() {
        String stem = in.getFileName().toString().replaceFirst("\\.[^.]*$", "");
        Intake.Choices choices = choices();
        Bringing brought = brought();
        Faces faces = faces(stem, brought, choices);
        Unit unit = brought.unit().or(common::unitGiven).orElse(Unit.INCH);
        List<Asked> open = asked(brought);
        if (!open.isEmpty()) {
            return open(faces, open);
        }
        Build build = new Build(
                stem.isBlank() ? "Build" : stem, "", common.catalogue().rules(), 1, List.of(), List.of(), Map.of());
        for (Map.Entry<String, Intake> each : faces.each.entrySet()) {
            build = each.getValue().asFace(build, each.getKey(), unit, choices);
        }
        common.told(BuildFile.create(out, new Document(build, Logbook.of(List.of(), List.of()), List.of())))
                .close();
        List<String> others = faces.say(i -> i.others(choices, common.unit()));
        ObjectNode node = Common.object().put("out", out.toString());
        tell(node, faces, List.of());
        node.put("unit", unit.symbol());
        others.forEach(node.putArray("fasteners")::add);
        List<String> lines = new ArrayList<>(faces.say(i -> i.sentences(common.unit())));
        lines.addAll(others);
        lines.add("Figures in " + unit.symbol() + ", by " + faces.unitFrom + ".");
        lines.add("Made " + out);
        common.answer(node, lines);
        return Cli.FINE;
    }

    /** Nothing is made while something is open: what was understood is told, and what is asked. */
    private int open(Faces faces, List<Asked> open) {
        ObjectNode node = Common.object().putNull("out");
        tell(node, faces, open);
        node.putNull("unit");
        common.answer(node, faces.say(i -> i.sentences(common.unit())));
        throw Common.wrong(in + ": " + open.stream().map(Asked::sentence).collect(Collectors.joining("; ")));
    }

    private static void tell(ObjectNode node, Faces faces, List<Asked> open) {
        node.put("face", String.join(", ", faces.each.keySet()));
        figures(node, faces);
        node.put("unit_from", faces.unitFrom).put("up", "the side seen in the drawing");
        left(node.putArray("left_out"), faces);
        faces.say(Intake::notes).forEach(node.putArray("notes")::add);
        ArrayNode asked = node.putArray("asked");
        open.forEach(a -> {
            ObjectNode one = asked.addObject()
                    .put("code", a.question.code())
                    .put("question", a.question.sentence())
                    .put("option", a.option);
            a.question.answers().forEach(one.putArray("answers")::add);
        });
    }

    private static void figures(ObjectNode node, Faces faces) {
        ArrayNode sheets = node.putArray("sheets");
        Map<Length, Integer> holes = new TreeMap<>(Comparator.comparing(Length::nanometres));
        int untold = 0;
        for (Intake each : faces.each.values()) {
            Understood understood = Understood.of(each);
            untold += understood.untold();
            understood.sheets().forEach(s -> {
                ObjectNode sheet = sheets.addObject().put("name", s.name());
                sheet.set("width", Common.length(s.width()));
                sheet.set("height", Common.length(s.height()));
                sheet.put("area_mm2", s.area()).put("openings", s.openings());
            });
            understood.holes().forEach(h -> holes.merge(h.diameter(), h.many(), Integer::sum));
            each.rows().stream()
                    .filter(r -> !r.sized())
                    .forEach(r -> holes.merge(
                            r.holes().getFirst().diameter(), r.holes().size(), Integer::sum));
        }
        node.put(
                "openings",
                faces.sum(i -> i.sheets().stream()
                        .mapToInt(s -> s.outline().openings().size())
                        .sum()));
        node.put("no_diameter", untold);
        ArrayNode sizes = node.putArray("holes");
        holes.forEach(
                (diameter, many) -> sizes.addObject().put("count", many).set("diameter", Common.length(diameter)));
    }

    private static void left(ArrayNode out, Faces faces) {
        faces.each.forEach((face, intake) -> intake.left().forEach(l -> {
            ObjectNode one = out.addObject()
                    .put("kind", l.kind())
                    .put("count", l.many())
                    .put("layer", l.layer())
                    .put("reason", l.why());
            l.at().ifPresent(p -> {
                one.set("x", Common.length(p.across()));
                one.set("y", Common.length(p.up()));
            });
        }));
    }
}
