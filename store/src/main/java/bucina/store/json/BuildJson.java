package bucina.store.json;

import static bucina.store.json.PlanJson.NODES;
import static bucina.store.json.PlanJson.array;

import bucina.core.catalogue.CatalogueReader;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.log.Mark;
import bucina.core.log.PartMark;
import bucina.core.measure.InputException;
import bucina.core.plan.Assembly;
import bucina.core.plan.Build;
import bucina.core.plan.Paperwork;
import bucina.core.plan.Part;
import bucina.core.plan.Shelf;
import bucina.core.plan.Workshop;
import bucina.store.Chain;
import bucina.store.Document;
import bucina.store.Photo;
import com.fasterxml.jackson.core.JsonGenerator;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.OutputStream;
import java.util.Base64;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** A whole build as JSON. */
public final class BuildJson {

    /** The version of the format written; older ones are read, newer ones refused. */
    public static final int VERSION = 12;

    private static final String FORMAT = "bucina-build";

    private static final String PHOTOS = "photographs";

    private static final String[] FIELDS = {
        "format",
        "version",
        "unit",
        "name",
        "aircraft",
        "nextId",
        "rules",
        "parts",
        "assemblies",
        "stock",
        "papers",
        "workshop",
        "marks",
        "partMarks",
        "log",
        PHOTOS
    };

    private BuildJson() {}

    /** The document as a tree. */
    public static ObjectNode write(Document document) {
        ObjectNode node = head(document.build(), document.log(), document.chain());
        node.set(PHOTOS, array(document.photos(), BuildJson::photo));
        return node;
    }

    /**
     * Writes a build as people read it, one photograph in memory at a time.
     *
     * @throws IOException if it cannot be written
     */
    public static void write(
            Build build, Logbook log, Map<Integer, Chain.Link> chain, Iterable<Photo> photos, OutputStream out)
            throws IOException {
        try (JsonGenerator json = Json.pretty(out)) {
            json.writeStartObject();
            for (Map.Entry<String, JsonNode> field : head(build, log, chain).properties()) {
                json.writeFieldName(field.getKey());
                json.writeTree(field.getValue());
            }
            json.writeArrayFieldStart(PHOTOS);
            for (Photo photo : photos) {
                json.writeTree(photo(photo));
            }
            json.writeEndArray();
            json.writeEndObject();
            json.writeRaw('\n');
        }
    }

    private static ObjectNode head(Build build, Logbook log, Map<Integer, Chain.Link> chain) {
        ObjectNode node = NODES.objectNode()
                .put("format", FORMAT)
                .put("version", VERSION)
                .put("unit", "mm")
                .put("name", build.name())
                .put("aircraft", build.aircraft())
                .put("nextId", build.nextId());
        node.set("rules", PlanJson.rules(build.rules()));
        node.set("parts", array(build.parts(), PlanJson::part));
        node.set("assemblies", array(build.assemblies(), PlanJson::assembly));
        ObjectNode stock = node.putObject("stock");
        build.stock().entrySet().stream()
                .sorted(Map.Entry.comparingByKey())
                .forEach(e -> stock.put(e.getKey(), e.getValue()));
        if (!build.papers().equals(Paperwork.NONE)) {
            node.set("papers", Kinds.write(Kind.On.PAPERS, build.papers().shelf()));
        }
        if (!build.workshop().equals(Workshop.NONE)) {
            node.set("workshop", Kinds.write(Kind.On.WORKSHOP, build.workshop().shelf()));
        }
        node.set("marks", array(log.marks(), LogJson::mark));
        if (!log.partMarks().isEmpty()) {
            node.set("partMarks", array(log.partMarks(), LogJson::partMark));
        }
        node.set("log", array(log.entries(), e -> LogJson.entry(e, chain)));
        return node;
    }

    /** The plan alone as a tree. */
    public static ObjectNode plan(Build build) {
        return head(build, Logbook.EMPTY, Map.of());
    }

    private static ObjectNode photo(Photo photo) {
        return NODES.objectNode()
                .put("sha256", photo.sha256())
                .put("type", photo.type())
                .put("data", Base64.getEncoder().encodeToString(photo.content()));
    }

    /** The version of the format that a document says it has, as far as it can be read. */
    public static int version(JsonNode tree) {
        return tree.path("version").asInt(1);
    }

    /**
     * Reads a document.
     *
     * @throws InputException if it is not one; the message names the place as a JSON pointer
     */
    public static Document read(JsonNode tree) {
        At at = new At(tree, "");
        checkHead(tree, at);
        Build build = build(at);
        List<Mark> marks = at.some("marks", LogJson::mark);
        List<LogEntry> entries = at.some("log", LogJson::entry);
        List<PartMark> parts =
                at.maybe("partMarks").map(p -> p.list(LogJson::partMark)).orElse(List.of());
        Logbook log = at.place("log").make(() -> Logbook.of(entries, marks, parts));
        List<Photo> photos = at.some(PHOTOS, BuildJson::photo);
        Map<Integer, Chain.Link> chain = new HashMap<>();
        at.some("log", LogJson::link).forEach(l -> l.ifPresent(e -> chain.put(e.getKey(), e.getValue())));
        return at.make(() -> new Document(build, log, photos, chain));
    }

    private static void checkHead(JsonNode tree, At at) {
        if (!tree.isObject() || !tree.path("format").asText().equals(FORMAT)) {
            throw at.wrong("this is no build: it must be an object that begins with \"format\": \"" + FORMAT + "\"");
        }
        if (at.whole("version") > VERSION || at.whole("version") < 1) {
            throw at.get("version")
                    .wrong("this program reads versions 1 to " + VERSION + "; use a newer Bucina for a newer file");
        }
        at.only(FIELDS);
        if (!at.text("unit").equals("mm")) {
            throw at.get("unit").wrong("lengths in this format are mm");
        }
    }

    private static Build build(At at) {
        List<Assembly> assemblies = at.some("assemblies", PlanJson::assembly);
        List<Part> read = at.some("parts", PlanJson::part);
        List<Part> parts = at.whole("version") < 6 ? OlderPlates.known(read, assemblies) : read;
        Map<String, Integer> stock = new HashMap<>();
        if (at.maybe("stock").isPresent()) {
            At counts = at.get("stock");
            counts.names().forEach(name -> stock.put(name, counts.small(name)));
        }
        return at.make(() -> new Build(
                        at.text("name"),
                        at.text("aircraft", ""),
                        at.or("rules", PlanJson::rules, CatalogueReader.shippedRules()),
                        at.whole("nextId"),
                        parts,
                        assemblies,
                        stock,
                        new Paperwork(shelf(at, "papers", Kind.On.PAPERS)),
                        new Workshop(shelf(at, "workshop", Kind.On.WORKSHOP)))
                .checked());
    }

    private static Shelf shelf(At at, String field, Kind.On on) {
        return at.maybe(field).map(node -> Kinds.read(on, node)).orElse(Shelf.NONE);
    }

    private static Photo photo(At at) {
        at.only("sha256", "type", "data");
        Photo photo = at.get("data")
                .make(() -> Photo.of(at.text("type"), Base64.getDecoder().decode(at.text("data"))));
        if (!photo.sha256().equals(at.text("sha256"))) {
            throw at.get("sha256").wrong("the photograph's content has the hash " + photo.sha256());
        }
        return photo;
    }
}
