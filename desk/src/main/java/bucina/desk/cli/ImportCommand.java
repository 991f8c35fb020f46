package bucina.desk.cli;

import bucina.core.callout.Callout;
import bucina.core.drawing.Intake;
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
import bucina.store.drawing.HoleCsv;
import bucina.store.drawing.Progress;
import bucina.store.drawing.TextFile;
import bucina.store.file.BuildFile;
import bucina.store.json.BuildJson;
import bucina.store.json.Json;
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
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** {@code import IN --from FORMAT --out FILE}: a new build from an open format. */
@Command(name = "import", mixinStandardHelpOptions = true, description = "Makes a new build file from an open format.")
final class ImportCommand implements Callable<Integer> {

    @Mixin
    private Common common;

    @Parameters(index = "0", paramLabel = "IN", description = "The file to read.")
    private Path in;

    @Option(names = "--from", required = true, description = "json, dxf, svg or csv")
    private String from;

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
                            + " With a drawing: that an odd thickness is meant.")
    private String because;

    @Option(names = "--out", required = true, description = "The new build file.")
    private Path out;

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

    /** What is brought in: a face of a drawing, or of a table that names faces one of each; and its unit. */
    private record Faces(Map<String, Intake> each, Optional<Unit> unit, String unitFrom) {

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

    private Faces faces(String stem) {
        if (from.equals("csv") && face == null) {
            Map<String, Intake> each = new LinkedHashMap<>();
            HoleCsv.readFaces(
                            TextFile.read(in), common.unit(), common.catalogue().drills(), Progress.NONE)
                    .forEach((name, drawing) -> each.put(name.isBlank() ? stem : name, Intake.of(drawing)));
            return new Faces(each, Optional.of(common.unit()), "--unit or the table's header");
        }
        boolean forced = common.unitGiven().isPresent() && !because.isBlank();
        Bringing brought = Bringing.read(
                in,
                Bringing.Format.of(from),
                common.unit(),
                forced,
                common.catalogue().drills(),
                Progress.NONE);
        common.unitGiven().filter(u -> !forced).flatMap(brought::contradiction).ifPresent(question -> {
            throw Common.wrong(
                    question + ": leave --unit out to go by the file, or say with --because why the file is wrong");
        });
        String from = brought.says().map(u -> "the file: " + u.name()).orElse("--unit");
        return new Faces(
                Map.of(face != null ? face.strip() : stem, brought.intake()),
                brought.unit(),
                forced && common.unitGiven().flatMap(brought::contradiction).isPresent()
                        ? "--unit, against " + from + ", because " + because
                        : from);
    }

    private int drawing() {
        String stem = in.getFileName().toString().replaceFirst("\\.[^.]*$", "");
        Faces faces = faces(stem);
        if (faces.unit.isEmpty() && common.unitGiven().isEmpty()) {
            throw Common.wrong(in + " does not say its unit: add --unit mm or --unit in");
        }
        Intake.Choices choices = new Intake.Choices(
                Optional.ofNullable(thickness).map(t -> common.lengths().parsePositive(t, "--thickness")),
                !because.isBlank(),
                Callout.parse(fastener).fastener(),
                Material.parse(material),
                common.catalogue());
        Unit unit = faces.unit.or(common::unitGiven).orElse(Unit.INCH);
        Build build = new Build(
                stem.isBlank() ? "Build" : stem, "", common.catalogue().rules(), 1, List.of(), List.of(), Map.of());
        for (Map.Entry<String, Intake> each : faces.each.entrySet()) {
            build = each.getValue().asFace(build, each.getKey(), unit, choices);
        }
        common.told(BuildFile.create(out, new Document(build, new Logbook(List.of(), List.of()), List.of())))
                .close();
        ObjectNode node =
                Common.object().put("out", out.toString()).put("face", String.join(", ", faces.each.keySet()));
        figures(node, faces);
        node.put("unit", unit.symbol()).put("unit_from", faces.unitFrom);
        left(node.putArray("left_out"), faces);
        List<String> lines = new ArrayList<>(faces.say(i -> i.sentences(common.unit())));
        lines.add("Figures in " + unit.symbol() + ", by " + faces.unitFrom + ".");
        lines.add("Made " + out);
        common.answer(node, lines);
        return Cli.FINE;
    }

    private static void figures(ObjectNode node, Faces faces) {
        ArrayNode sheets = node.putArray("sheets");
        Map<Length, Integer> holes = new TreeMap<>(Comparator.comparing(Length::nanometres));
        for (Intake each : faces.each.values()) {
            Understood understood = Understood.of(each);
            understood.sheets().forEach(s -> {
                ObjectNode sheet = sheets.addObject().put("name", s.name());
                sheet.set("width", Common.length(s.width()));
                sheet.set("height", Common.length(s.height()));
                sheet.put("area_mm2", s.area()).put("openings", s.openings());
            });
            understood.holes().forEach(h -> holes.merge(h.diameter(), h.many(), Integer::sum));
        }
        node.put(
                "openings",
                faces.sum(i -> i.sheets().stream()
                        .mapToInt(s -> s.outline().openings().size())
                        .sum()));
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
