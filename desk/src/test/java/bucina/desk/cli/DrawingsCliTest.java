package bucina.desk.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import bucina.core.catalogue.CatalogueReader;
import bucina.desk.session.DemoBuild;
import bucina.store.json.Json;
import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Drawings out and in, the other hand, and the checks of a build, on the command line. */
class DrawingsCliTest extends OnCommandLine {

    private Path dunlin;
    private Path locker;

    @BeforeEach
    void demo() {
        dunlin = folder.resolve("dunlin.bucina");
        locker = folder.resolve("locker.bucina");
        DemoBuild.write(dunlin, CatalogueReader.shipped());
        DemoBuild.write(DemoBuild.Which.LOCKER, locker, CatalogueReader.shipped());
    }

    @ParameterizedTest
    @CsvSource({"dxf,Lower skin,MS20426AD3", "svg,Lower skin,MS20426AD3", "dxf,Main spar web,MS20470AD4"})
    void a_face_goes_out_comes_in_and_goes_out_the_same(String format, String face, String fastener)
            throws IOException {
        Path first = folder.resolve("a." + format);
        Path second = folder.resolve("b." + format);
        Path build = folder.resolve("b.bucina");
        assertThat(line("export {} --to {} --what build --face {} --out {}", dunlin, format, face, first))
                .isZero();
        assertThat(line(
                        "import {} --from {} --fastener {} --face 'Brought in' --out {}",
                        first,
                        format,
                        fastener,
                        build))
                .isZero();
        assertThat(line("export {} --to {} --out {}", build, format, second)).isZero();
        assertThat(Files.readString(second)).isEqualTo(Files.readString(first));
    }

    @Test
    void a_table_goes_out_and_comes_in_hole_by_hole() throws IOException {
        Path table = folder.resolve("a.csv");
        assertThat(line("export {} --to csv --what holes --face 'Locker floor' --out {}", locker, table))
                .isZero();
        assertThat(Files.readString(table))
                .startsWith("row,hole,group,x_mm,y_mm,diameter_mm,grip_mm,use")
                .contains("R2,5,LF-2,");
        assertThat(run(
                        "import",
                        table,
                        "--from",
                        "csv",
                        "--unit",
                        "mm",
                        "--fastener",
                        "ISO 15977 3.2",
                        "--out",
                        folder.resolve("c.bucina"),
                        "--json"))
                .isZero();
        assertThat(holes()).isEqualTo(59);
    }

    @Test
    void a_table_of_every_face_makes_them_all_again() throws IOException {
        Path first = folder.resolve("all.csv");
        Path second = folder.resolve("again.csv");
        assertThat(line("export {} --to csv --what holes --out {}", dunlin, first))
                .isZero();
        assertThat(Files.readAllLines(first))
                .hasSize(680)
                .first()
                .isEqualTo("face,row,hole,group,x_mm,y_mm,diameter_mm,grip_mm,use");
        assertThat(run("import", first, "--from", "csv", "--out", folder.resolve("all.bucina"), "--json"))
                .isZero();
        assertThat(holes()).isEqualTo(679);
        assertThat(json().at("/left_out")).isEmpty();
        assertThat(run("export", folder.resolve("all.bucina"), "--to", "csv", "--out", second))
                .isZero();
        assertThat(places(second)).isEqualTo(places(first));
    }

    /** Everything but grip and rivet, which follow from sheets that a table does not carry. */
    private static List<String> places(Path table) throws IOException {
        return Files.readAllLines(table).stream()
                .map(l -> String.join(",", Arrays.copyOf(l.split(","), 7)))
                .toList();
    }

    /** Of all diameters, as the answer to an import says. */
    private int holes() {
        return json().at("/holes").findValues("count").stream()
                .mapToInt(JsonNode::asInt)
                .sum();
    }

    @Test
    void what_was_understood_is_answered_in_figures_and_what_was_left_out_with_its_reason() throws IOException {
        Path drawing = folder.resolve("plate.dxf");
        Files.writeString(
                drawing,
                ("0 SECTION 2 HEADER 9 $INSUNITS 70 5 0 ENDSEC 0 SECTION 2 ENTITIES "
                                + "0 LWPOLYLINE 8 S 70 1 10 0 20 0 10 10 20 0 10 10 20 5 10 0 20 5 "
                                + "0 CIRCLE 8 S 10 5 20 2 40 1 0 CIRCLE 8 H 10 1 20 1 40 .12 "
                                + "0 CIRCLE 8 H 10 9 20 1 40 .12 "
                                + "0 SPLINE 8 N 10 3 20 4 0 ENDSEC 0 EOF ")
                        .replace(' ', '\n'));
        assertThat(run(
                        "import",
                        drawing,
                        "--from",
                        "dxf",
                        "--thickness",
                        ".8mm",
                        "--out",
                        folder.resolve("p.bucina"),
                        "--json"))
                .as(err)
                .isZero();
        assertThat(json().at("/sheets/0/width/mm").asDouble()).isEqualTo(100);
        assertThat(json().at("/sheets/0/height/mm").asDouble()).isEqualTo(50);
        assertThat(json().at("/sheets/0/area_mm2").asDouble()).isCloseTo(5000 - Math.PI * 100, within(1e-6));
        assertThat(json().at("/openings").asInt()).isEqualTo(1);
        assertThat(json().at("/holes/0/diameter/mm").asDouble()).isEqualTo(2.4);
        assertThat(json().at("/holes/0/count").asInt()).isEqualTo(2);
        assertThat(json().at("/unit_from").asText()).isEqualTo("the file: centimetres");
        assertThat(json().at("/left_out/0/kind").asText()).isEqualTo("SPLINE");
        assertThat(json().at("/left_out/0/layer").asText()).isEqualTo("N");
        assertThat(json().at("/left_out/0/x/mm").asDouble()).isEqualTo(30);
    }

    @Test
    void a_unit_that_contradicts_the_file_is_asked_about_and_taken_with_a_reason() throws IOException {
        Path drawing = folder.resolve("hole.dxf");
        Files.writeString(
                drawing,
                ("0 SECTION 2 HEADER 9 $INSUNITS 70 4 0 ENDSEC "
                                + "0 SECTION 2 ENTITIES 0 CIRCLE 8 H 10 1 20 1 40 .05 0 ENDSEC 0 EOF ")
                        .replace(' ', '\n'));
        Path made = folder.resolve("u.bucina");
        assertThat(run("import", drawing, "--from", "dxf", "--unit", "in", "--out", made))
                .isEqualTo(Cli.UNUSABLE);
        assertThat(err).contains("The file says its figures are millimetres, and in is asked for");
        assertThat(made).doesNotExist();
        assertThat(run(
                        "import",
                        drawing,
                        "--from",
                        "dxf",
                        "--unit",
                        "in",
                        "--because",
                        "its header is wrong",
                        "--out",
                        made,
                        "--json"))
                .as(err)
                .isZero();
        assertThat(json().at("/holes/0/diameter/in").asDouble()).isEqualTo(.1);
        assertThat(json().at("/unit_from").asText())
                .contains("against the file: millimetres, because its header is wrong");
    }

    @Test
    void a_drawing_that_does_not_say_its_unit_is_asked_for_it() throws IOException {
        Path drawing = folder.resolve("plain.dxf");
        Files.writeString(
                drawing, "0\nSECTION\n2\nENTITIES\n0\nCIRCLE\n8\nH\n10\n1\n20\n1\n40\n0.049\n0\nENDSEC\n0\nEOF\n");
        assertThat(run("import", drawing, "--from", "dxf", "--out", folder.resolve("u.bucina")))
                .isEqualTo(Cli.UNUSABLE);
        assertThat(err).contains("--unit mm");
        assertThat(folder.resolve("u.bucina")).doesNotExist();
        assertThat(run("import", drawing, "--from", "dxf", "--unit", "in", "--out", folder.resolve("u.bucina")))
                .isZero();
        assertThat(run("stack", folder.resolve("u.bucina"), "--face", "plain", "--at", "1,1"))
                .isNotEqualTo(70);
    }

    @Test
    void templates_strips_and_the_held_open_sheet_are_pdf() throws IOException {
        for (String[] what : new String[][] {
            {"template"}, {"template", "--row", "R1"}, {"held-open"}, {"template", "--paper", "letter"}
        }) {
            Path pdf = folder.resolve("t" + Arrays.hashCode(what) + ".pdf");
            Object[] args = new Object[7 + what.length];
            Object[] start = {"export", dunlin, "--to", "pdf", "--out", pdf, "--what"};
            System.arraycopy(start, 0, args, 0, 7);
            System.arraycopy(what, 0, args, 7, what.length);
            assertThat(run(args)).as(err).isZero();
            assertThat(Files.readAllBytes(pdf)).startsWith((byte) '%', (byte) 'P', (byte) 'D', (byte) 'F');
        }
    }

    @Test
    void the_rules_go_out_as_json_and_a_template_as_dxf() throws IOException {
        Path rules = folder.resolve("rules.json");
        assertThat(line("export {} --to json --what rules --out {}", dunlin, rules))
                .isZero();
        assertThat(Json.read(Files.readString(rules)).at("/rules").size()).isEqualTo(46);
        Path template = folder.resolve("t.dxf");
        assertThat(line("export {} --to dxf --what template --out {}", dunlin, template))
                .isZero();
        assertThat(Files.readString(template)).contains("CROSSES", "R1.1");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "--to png|write json, csv, svg, dxf or pdf",
                "--to pdf --what hours|held-open",
                "--to dxf --face Keel|there is no face",
                "--to pdf --row R99|there is no row",
                "--to pdf --paper a3|a4 or letter"
            })
    void what_cannot_be_written_is_said(String options, String expected) {
        Object[] given = options.split(" ");
        Object[] args = new Object[4 + given.length];
        System.arraycopy(new Object[] {"export", dunlin, "--out", folder.resolve("x")}, 0, args, 0, 4);
        System.arraycopy(given, 0, args, 4, given.length);
        assertThat(run(args)).isEqualTo(Cli.UNUSABLE);
        assertThat(err).contains(expected);
        assertThat(folder.resolve("x")).doesNotExist();
    }

    @Test
    void the_other_hand_is_added_in_a_new_file() {
        Path both = folder.resolve("both.bucina");
        assertThat(line("mirror {} --assembly stabilator --out {} --json", dunlin, both))
                .isZero();
        assertThat(Json.read(out).at("/hand").asText()).isEqualTo("right");
        assertThat(run("groups", both, "--json")).isZero();
        assertThat(out).contains("US-1R");
        assertThat(run("mirror", both, "--assembly", "Stabilator", "--out", folder.resolve("three.bucina")))
                .isEqualTo(Cli.UNUSABLE);
        assertThat(err).contains("already");
        assertThat(run("mirror", locker, "--assembly", "Belly locker", "--out", folder.resolve("four.bucina")))
                .isEqualTo(Cli.UNUSABLE);
        assertThat(err).contains("no hand");
        assertThat(run("mirror", dunlin, "--assembly", "Keel", "--out", folder.resolve("five.bucina")))
                .isEqualTo(Cli.UNUSABLE);
        assertThat(err).contains("Stabilator");
    }

    @Test
    void check_names_queries_pulled_rivets_and_walls() {
        assertThat(run("check", locker, "--json")).isEqualTo(Cli.FINDINGS);
        JsonNode findings = Json.read(out).at("/findings");
        assertThat(findings.findValuesAsText("rule"))
                .contains("length-cut", "tail-at-wall", "query-open", "nosepiece-changes", "edge-distance-least");
        for (JsonNode f : findings) {
            assertThat(f.has("accepted")).isTrue();
            assertThat(f.get("accepted").isNull()).isTrue();
        }
    }

    @Test
    void a_group_in_query_or_held_open_is_not_logged() {
        assertThat(line(
                        "log {} add --group BS-1 --designation 'ISO 15977 3.2 x 6' --who 'M. Oake' --at "
                                + "2026-11-24T10:00 --minutes 20 --row R1 --holes 5-9",
                        locker))
                .isEqualTo(Cli.UNUSABLE);
        assertThat(err).contains("query");
        assertThat(line(
                        "log {} add --group US-3 --designation MS20426AD3-3.5 --who 'M. Oake' --at "
                                + "2026-11-24T10:00 --minutes 20 --row R3 --holes 1-4",
                        dunlin))
                .isEqualTo(Cli.UNUSABLE);
        assertThat(err).contains("held open for Trailing edge strip");
        assertThat(line(
                        "log {} add --group LF-1 --designation '15977-3.2 x 6' --who 'M. Oake' --at "
                                + "2026-11-24T10:00 --minutes 20 --row R1 --holes 1-14 --because 'deburred before it "
                                + "was followed'",
                        locker))
                .as(err)
                .isZero();
        assertThat(line(
                        "log {} add --group LL-2 --designation 'ISO 15977 3.2 stainless x 6' --who 'M. Oake' "
                                + "--at 2026-11-24T10:00 --minutes 20 --row R4 --holes 1-9",
                        locker))
                .isEqualTo(Cli.UNUSABLE);
        assertThat(err).contains("stainless");
        assertThat(line(
                        "log {} add --group LL-2 --designation 'ISO 15977 3.2 stainless x 6' --who 'M. Oake' "
                                + "--at 2026-11-24T10:00 --minutes 20 --row R4 --holes 1-9 --because 'checked twice'",
                        locker))
                .as(err)
                .isZero();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "dxf|0\nSECTION\n2\nENTITIES\n0\nCIRCLE\n10\nNaN\n20\n0\n40\n1\n0\nENDSEC\n0\nEOF\n",
                "dxf|0\nSECTION\n2\nENTITIES\n0\nCIRCLE\n10\n1e400\n20\n0\n40\n1\n0\nENDSEC\n0\nEOF\n",
                "dxf|0\nSECTION\n2\nENTITIES\n0\nLWPOLYLINE\n8\nBOW\n70\n1\n10\n0\n20\n0\n10\n9\n20\n9\n10\n9\n20\n"
                        + "0\n10\n0\n20\n9\n0\nENDSEC\n0\nEOF\n",
                "svg|<svg xmlns='http://www.w3.org/2000/svg' width='100mm' height='100mm' viewBox='0 0 100 "
                        + "100'><path d='M0 0 L90 90 L90 0 L0 90 Z'/></svg>",
                "svg|<svg xmlns='http://www.w3.org/2000/svg' width='100mm' height='100mm' viewBox='0 0 100 "
                        + "100'><path d='M0 0 L1e999 9 L9 9 Z'/></svg>",
                "svg|<svg xmlns='http://www.w3.org/2000/svg' width='0mm' height='0mm' viewBox='0 0 NaN 0'><circle "
                        + "cx='1' cy='1' r='1'/></svg>",
                "svg|<!DOCTYPE s [<!ENTITY a 'aaaa'><!ENTITY b '&a;&a;'>]><svg "
                        + "xmlns='http://www.w3.org/2000/svg'><text>&b;</text></svg>",
                "csv|x,y,d\nNaN,1,.125\n",
                "csv|x,y,d\nInfinity,1,.125\n",
                "csv|x,y,d\n1,1e400,.125\n",
                "csv|",
                "json|{\"format\": NaN}"
            })
    void hostile_files_end_in_a_sentence_and_leave_no_build(String line) throws IOException {
        String format = line.substring(0, line.indexOf('|'));
        Path bad = Files.writeString(folder.resolve("bad." + format), line.substring(format.length() + 1));
        Path build = folder.resolve("bad.bucina");
        assertThat(line("import {} --from {} --unit mm --fastener MS20470AD4 --out {}", bad, format, build))
                .isEqualTo(2);
        assertThat(err).isNotBlank().doesNotContain("Exception", "\tat ", "itself failed");
        assertThat(build).doesNotExist();
    }

    /* .025 with --unit mm is .025 mm, a twelfth of the thinnest sheet there is: asked about. .635 mm is .025 in. */
    @Test
    void a_thickness_nobody_said_is_asked_for_and_one_no_sheet_has_is_asked_about() throws IOException {
        Path drawing = folder.resolve("t.svg");
        Files.writeString(
                drawing,
                "<svg xmlns='http://www.w3.org/2000/svg' width='100mm' height='50mm' viewBox='0 0 100 50'>"
                        + "<rect x='0' y='0' width='100' height='50'/><circle cx='20' cy='20' r='1.6'/></svg>");
        Path out = folder.resolve("t.bucina");
        assertThat(line("import {} --from svg --unit mm --fastener MS20470AD4 --out {}", drawing, out))
                .isEqualTo(2);
        assertThat(err.toString()).contains("does not say how thick sheet");
        assertThat(out).doesNotExist();
        assertThat(line("import {} --from svg --unit mm --thickness .025 --fastener MS20470AD4 --out {}", drawing, out))
                .isEqualTo(2);
        assertThat(err.toString()).contains("would be 0.025 mm thick", "0.3 mm to 12 mm");
        assertThat(out).doesNotExist();
        assertThat(line(
                        "import {} --from svg --unit mm --thickness .025in --fastener MS20470AD4 --out {}",
                        drawing,
                        out))
                .isZero();
        assertThat(line(
                        "import {} --from svg --unit mm --thickness .025 --because foil --fastener MS20470AD4 --out {}",
                        drawing,
                        folder.resolve("foil.bucina")))
                .isZero();
    }
}
