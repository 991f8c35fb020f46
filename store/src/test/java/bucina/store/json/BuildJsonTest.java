package bucina.store.json;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.fail;

import bucina.core.catalogue.CatalogueReader;
import bucina.core.demo.Locker;
import bucina.core.dress.Preparation;
import bucina.core.log.Logbook;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.plan.Bolting;
import bucina.core.plan.Build;
import bucina.core.plan.Deviation;
import bucina.core.plan.Face;
import bucina.core.plan.Fastener;
import bucina.core.plan.Group;
import bucina.core.plan.Hole;
import bucina.core.plan.Id;
import bucina.core.plan.Row;
import bucina.core.plan.Standing;
import bucina.core.plan.TypedStack;
import bucina.core.rivet.HeadStyle;
import bucina.core.sheet.Point;
import bucina.store.Demo;
import bucina.store.Document;
import bucina.store.Photo;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.networknt.schema.JsonSchema;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class BuildJsonTest {

    private final Document demo = Demo.document();

    @Test
    void written_bit_by_bit_it_is_the_same() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        BuildJson.write(demo.build(), demo.log(), demo.chain(), demo.photos(), out);
        assertThat(out.toString(StandardCharsets.UTF_8)).isEqualTo(Json.pretty(BuildJson.write(demo)) + "\n");
    }

    @Test
    void of_its_photographs_one_is_in_memory_at_a_time() throws IOException {
        int bytes = 1_000_000;
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        Iterable<Photo> photos = () -> IntStream.range(0, 8)
                .mapToObj(i -> {
                    assertThat(out.size())
                            .as("written before photograph %d is read", i)
                            .isGreaterThan(i * bytes);
                    byte[] content = new byte[bytes];
                    content[0] = (byte) i;
                    return Photo.of("image/png", content);
                })
                .iterator();
        BuildJson.write(demo.build(), demo.log(), demo.chain(), photos, out);
        assertThat(out.size()).isGreaterThan(8 * bytes);
    }

    private static Document again(Document document) {
        return BuildJson.read(Json.read(Json.pretty(BuildJson.write(document))));
    }

    @Test
    void the_whole_build_goes_out_and_comes_in_without_loss() {
        assertThat(again(demo).equals(demo)).isTrue();
        assertThat(Json.pretty(BuildJson.write(again(demo)))).isEqualTo(Json.pretty(BuildJson.write(demo)));
    }

    @Test
    void figures_that_no_drawing_has_survive_to_the_last_bit() {
        Build build = demo.build();
        Face face = build.face("Upper skin").orElseThrow().face();
        Random random = new Random(3);
        List<Hole> holes = new ArrayList<>();
        for (int i = 0; i < 500; i++) {
            holes.add(new Hole(
                    new Id.Hole(build.nextId() + 2 + i),
                    i + 1,
                    new Point(random.nextGaussian() * 1e9, random.nextGaussian() * 1e-3),
                    Optional.of(new Deviation(
                            Optional.of(Length.nm(random.nextDouble() * 1e7 + 1)),
                            Optional.of(fastener(i)),
                            Optional.of(Preparation.COUNTERSINK),
                            "é \"quoted\" \\ \u2028"))));
        }
        Group rows = new Group(
                new Id.Group(build.nextId()),
                "X-1",
                "Ünïcode \u0001",
                new Fastener.SolidRivet(HeadStyle.REDUCED, "DD", 5),
                true,
                Preparation.DIMPLE,
                "12x",
                List.of(new Row(new Id.Row(build.nextId() + 1), "R99", 501, holes)),
                Optional.empty(),
                Set.of(face.layers().getFirst().id()),
                Set.of(face.layers().getLast().id()));
        Group typed = new Group(
                new Id.Group(build.nextId() + 600),
                "X-2",
                "typed",
                new Fastener.SolidRivet(HeadStyle.UNIVERSAL, "AD", 4),
                false,
                Preparation.NONE,
                "",
                List.of(),
                Optional.of(new TypedStack(List.of(Length.nm(1.0 / 3 * 1e6)), 7)),
                Set.of(),
                Set.of());
        Build more =
                build.with(face.plus(rows).plus(typed), build.nextId() + 601).checked();
        assertThat(again(new Document(more, demo.log(), demo.photos())).build()).isEqualTo(more);
    }

    @Test
    void a_field_that_is_left_out_is_taken_at_its_default() throws IOException {
        JsonNode least = Json.read("""
                {"format": "bucina-build", "version": 7, "unit": "mm", "name": "Least", "nextId": 100,
                 "parts": [{"id": 1, "name": "Skin"}, {"id": 2, "name": "Rib", "standing": "dry"}],
                 "assemblies": [{"id": 3, "name": "A", "faces": [{"id": 4, "name": "Top", "layers": [
                    {"id": 5, "part": 1, "name": "Skin", "thickness": 0.8,
                     "outline": {"outer": [[0, 0], [100, 0], [100, 50], [0, 50]]}}],
                  "groups": [{"id": 6, "code": "G-1",
                     "fastener": {"kind": "solid-rivet", "head": "flush", "alloy": "AD", "dash": 3},
                     "rows": [{"id": 7, "name": "R1", "holes": [{"id": 8, "label": 1, "at": [10, 25]},
                        {"id": 9, "label": 4, "at": [30, 25]}]}]}]}]}]}""");
        assertThat(schema().validate(least)).isEmpty();
        Build build = BuildJson.read(least).build();
        assertThat(build.parts().getFirst().standing()).isEqualTo(Standing.HERE);
        assertThat(build.parts().getLast().standing()).isEqualTo(Standing.DRY);
        assertThat(build.rules()).isEqualTo(CatalogueReader.shippedRules());
        Group group = build.group("G-1").orElseThrow().group();
        assertThat(group.preparation()).isEqualTo(Preparation.AUTO);
        assertThat(group.headFar()).isFalse();
        assertThat(group.rows().getFirst().nextLabel()).isEqualTo(5);
        assertThat(build.assemblies().getFirst().unit()).isEqualTo(Unit.INCH);
    }

    @Test
    void what_later_versions_brought_goes_out_and_comes_in_and_is_valid_by_the_schema() throws IOException {
        Document document = new Document(FullBuild.full(), FullLog.of(FullBuild.full()), List.of());
        assertThat(again(document).build()).isEqualTo(document.build());
        assertThat(again(document).log()).isEqualTo(document.log());
        assertThat(schema().validate(BuildJson.write(document))).isEmpty();
        Document locker = new Document(Locker.build(CatalogueReader.shipped().rules()), Logbook.EMPTY, List.of());
        assertThat(again(locker).build()).isEqualTo(locker.build());
        assertThat(schema().validate(BuildJson.write(locker))).isEmpty();
    }

    @Test
    void a_thousand_mutations_of_a_full_build_end_in_a_build_or_a_sentence() {
        String text =
                Json.line(BuildJson.write(new Document(FullBuild.full(), FullLog.of(FullBuild.full()), List.of())));
        Random random = new Random(17);
        int refused = 0;
        for (int i = 0; i < 1000; i++) {
            StringBuilder bad = new StringBuilder(text);
            int at = random.nextInt(bad.length() - 80);
            switch (random.nextInt(4)) {
                case 0 -> bad.setCharAt(at, (char) (32 + random.nextInt(90)));
                case 1 -> bad.delete(at, at + 1 + random.nextInt(60));
                case 2 ->
                    bad.insert(
                            at,
                            new String[] {"null", "-1", "1e999", "\"\"", "[]", "{}", "NaN", "{}{}"}[random.nextInt(8)]);
                default -> bad.setLength(at);
            }
            try {
                BuildJson.read(Json.read(bad.toString()));
            } catch (InputException e) {
                refused++;
                assertThat(e.getMessage()).hasSizeGreaterThan(15);
            }
        }
        assertThat(refused).isGreaterThan(500);
    }

    @Test
    void the_demo_is_valid_by_the_published_schema() throws IOException {
        assertThat(schema().validate(BuildJson.write(demo))).isEmpty();
    }

    @Test
    void the_schema_refuses_what_the_reader_refuses() throws IOException {
        for (String[] change : new String[][] {
            {"/parts/0/fittingOrder", "\"x\""},
            {"/assemblies/0/faces/0/layers/0/thickness", "0"},
            {"/assemblies/0/hand", "\"both\""},
            {"/log/0/work/minutes", "-1"}
        }) {
            JsonNode tree = BuildJson.write(demo);
            set(tree, change[0], Json.read(change[1]));
            assertThat(schema().validate(tree)).as(change[0]).isNotEmpty();
            assertThatThrownBy(() -> BuildJson.read(tree)).as(change[0]).isInstanceOf(InputException.class);
        }
    }

    private static JsonSchema schema() throws IOException {
        String text = Files.readString(Path.of("../docs/format/build.schema.json"));
        return JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012).getSchema(text);
    }

    private static void set(JsonNode tree, String pointer, JsonNode value) {
        int cut = pointer.lastIndexOf('/');
        JsonNode parent = tree.at(pointer.substring(0, cut));
        String last = pointer.substring(cut + 1);
        if (parent instanceof ArrayNode array) {
            array.set(Integer.parseInt(last), value);
        } else {
            ((ObjectNode) parent).set(last, value);
        }
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "/version|13|versions 1 to 12",
                "/unit|\"in\"|/unit",
                "/parts/0/fittingOrder|\"x\"|/parts/0/fittingOrder: must be a whole number",
                "/assemblies/0/faces/1/layers/2/thickness|\"thin\"|/assemblies/0/faces/1/layers/2/thickness: must "
                        + "be a number",
                "/assemblies/0/faces/1/layers/2/thickness|0|thickness must be over 0",
                "/assemblies/0/faces/0/groups/0/rows/0/holes/3/at|[1]|/at: must be a list of at least 2",
                "/assemblies/0/faces/0/groups/0/rows/0/holes/3/id|1|share the id 1",
                "/assemblies/0/faces/0/groups/0/fastener/dash|99|dash must be 2 to 12",
                "/log/0/work/done|\"yesterday\"|/log/0/work",
                "/log/3/corrects|9|/log",
                "/nextId|5|next id",
                "/rules/rules/0/value|\"wide\"|edge.least.protruding",
                "/photographs/0/sha256|\"00\"|/photographs/0/sha256",
                "/stock|[]|/stock",
                "/assemblies/0/extra|1|not known here",
                "/assemblies/0/faces/0/layers/0/outline/outer/0|[1, 1e300]|at most 1000000",
                "/log/0/work/readings|null|/log/0/work/readings"
            })
    void an_error_names_its_place(String pointer, String value, String expected) {
        JsonNode tree = BuildJson.write(demo);
        set(tree, pointer, Json.read(value));
        assertThatThrownBy(() -> BuildJson.read(tree))
                .isInstanceOf(InputException.class)
                .hasMessageContaining(expected);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "/workshop/batches/0/life|0|pot life must be 1 to 10080 minutes, like 120, was 0",
                "/workshop/batches/0/induction|480|induction must be 0 up to less than its life of 480",
                "/workshop/batches/0/stir|-1|time between stirrings",
                "/workshop/batches/0/kind|\"paint\"|must be one of primer, sealant",
                "/workshop/batches/0/mixed|\"noon\"|/workshop/batches/0",
                "/workshop/batches/0/stirred|\"2020-01-01T00:00:00Z\"|after it was mixed",
                "/workshop/batches/0/covers/0/far|1|must be true or false",
                "/workshop/batches/0/covers|{}|/workshop/batches/0/covers: must be a list",
                "/workshop/batches/0/id|1|share the id 1",
                "/workshop/index/0/how|\"\"|1 to 500 characters, was 0",
                "/workshop/index/0/part|\"x\"|/workshop/index/0/part: must be a whole number",
                "/workshop/index/0/at|null|/workshop/index/0/at",
                "/workshop/readings/0/kind|\"round\"|must be one of square, twist, level, straight",
                "/workshop/readings/0/values|[1]|square has 2 figures",
                "/workshop/readings/1/values|[1, 2]|level has 1 figure",
                "/workshop/readings/0/values/0|\"long\"|/workshop/readings/0/values/0: must be a number",
                "/workshop/readings/0/after|\"yes\"|must be true or false",
                "/workshop/readings/0/extra|1|not known here",
                "/workshop/readings/0/id|999999|next id to give out"
            })
    void an_error_in_the_workshop_names_its_place(String pointer, String value, String expected) {
        JsonNode tree = BuildJson.write(new Document(FullBuild.full(), Logbook.EMPTY, List.of()));
        set(tree, pointer, Json.read(value));
        assertThatThrownBy(() -> BuildJson.read(tree))
                .isInstanceOf(InputException.class)
                .hasMessageContaining(expected);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "``|empty",
                "{\"format\"|not JSON at line 1",
                "[1,2]|no build",
                "{}|no build",
                "{\"a\":1,\"a\":2}|not JSON",
                "{\"format\":\"bucina-build\"} x|not JSON",
                "{\"format\":\"bucina-build\"}|/version"
            })
    void what_is_no_build_is_said_so(String text, String expected) {
        assertThatThrownBy(() -> BuildJson.read(Json.read(text)))
                .isInstanceOf(InputException.class)
                .hasMessageContaining(expected);
    }

    @Test
    void a_thousand_mutations_are_read_or_refused_in_a_sentence() {
        byte[] good = Json.line(BuildJson.write(demo)).getBytes(StandardCharsets.UTF_8);
        Random random = new Random(17);
        int refused = 0;
        for (int i = 0; i < 1000; i++) {
            byte[] bytes = good.clone();
            for (int k = 0; k <= random.nextInt(3); k++) {
                bytes[random.nextInt(bytes.length)] = (byte) (32 + random.nextInt(95));
            }
            try {
                BuildJson.read(Json.read(new String(bytes, StandardCharsets.UTF_8)));
            } catch (InputException e) {
                refused++;
                assertThat(e.getMessage()).isNotBlank();
            } catch (RuntimeException e) {
                fail("mutation " + i + " got through as " + e, e);
            }
        }
        assertThat(refused).isGreaterThan(300);
    }

    @Test
    void a_number_with_a_monstrous_exponent_is_refused_at_once() {
        JsonNode tree = BuildJson.write(demo);
        set(
                tree,
                "/assemblies/0/faces/0/layers/0/thickness",
                JsonNodeFactory.instance.numberNode(new BigDecimal("1e-999999999")));
        assertThatThrownBy(() -> BuildJson.read(tree)).isInstanceOf(InputException.class);
    }

    private static Fastener fastener(int i) {
        return i % 2 == 0
                ? new Fastener.Hardware(
                        "AN4-5A", Length.in(.25), Length.in(.25), true, new Bolting("castle:.25", i % 4 == 0, true))
                : new Fastener.RivetNut(
                        "rivet nut M4",
                        "M4",
                        Length.mm(6),
                        Length.mm(6.1),
                        Length.mm(.5),
                        Length.mm(3),
                        Length.mm(2.5));
    }
}
