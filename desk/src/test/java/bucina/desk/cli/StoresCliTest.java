package bucina.desk.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Stores, orders, forecast and weight as the contract has them. */
class StoresCliTest extends OnCommandLine {

    @BeforeEach
    void demo() {
        file = folder.resolve("demo.bucina");
        assertThat(line("demo stabilator --to {}", file)).isZero();
    }

    private JsonNode item(String designation) {
        assertThat(line("stores FILE --json")).isZero();
        for (JsonNode item : json().at("/items")) {
            assertThat(item.at("/left").asInt())
                    .isEqualTo(item.at("/kit").asInt()
                            + item.at("/bought").asInt()
                            - item.at("/used").asInt()
                            - item.at("/rejected").asInt());
            if (item.at("/designation").asText().equals(designation)) {
                return item;
            }
        }
        throw new AssertionError("no item " + designation);
    }

    private Path list(String text) throws IOException {
        return Files.writeString(folder.resolve("list.csv"), text);
    }

    @Test
    void spares_are_worked_out_in_whole_numbers() {
        assertThat(line("calc spare --left 120 --set 340 --rejected 9 --on-hand 100 --pack 50 --json"))
                .isZero();
        assertThat(json().at("/reject_share").asDouble()).isEqualTo(10 / 360.0, Offset.offset(1e-12));
        assertThat(json().at("/need").asInt()).isEqualTo(124);
        assertThat(json().at("/order").asInt()).isEqualTo(50);
        assertThat(line("calc spare --left 120 --set 3 --rejected 9 --on-hand 100"))
                .isEqualTo(2);
        assertThat(err).contains("of 3 driven at most 3 can be rejected, was 9");
    }

    @Test
    void a_list_taken_in_counts_hardware_and_says_where_it_differs() throws IOException {
        Path list = list("Part No;Benennung;Menge;Dicke (mm)\nDS-104;Rear spar;1;0,81\nDS-999;Gust lock;1;\n"
                + "AN426AD3-3.5;Rivet;420;\n");
        assertThat(line("stores FILE take-in {} --json", list)).isZero();
        assertThat(json().at("/read").asInt()).isEqualTo(3);
        assertThat(json().at("/differs").toString())
                .contains("Rear spar: the list calls for .0319 in, the plan for .040 in.")
                .contains("DS-999")
                .contains("Upper skin is in the plan and not on the list.");
        JsonNode rivet = item("MS20426AD3-3.5");
        assertThat(rivet.at("/kit").asInt()).isEqualTo(420);
        assertThat(rivet.at("/left").asInt()).isEqualTo(420 - rivet.at("/used").asInt());
        int needed = rivet.at("/needed").asInt();
        assertThat(line("order-list FILE --json")).isZero();
        boolean there = false;
        for (JsonNode each : json().at("/lines")) {
            if (each.at("/designation").asText().equals("MS20426AD3-3.5")) {
                there = true;
                assertThat(each.at("/order").asInt())
                        .isGreaterThanOrEqualTo(needed - rivet.at("/left").asInt());
                assertThat(each.at("/why").asText()).contains(needed + " to set");
            }
        }
        assertThat(there).isTrue();
    }

    @Test
    void a_list_that_cannot_be_read_changes_nothing() throws IOException {
        Path list = list("number,qty\nDS-104,two\n");
        assertThat(line("stores FILE take-in {}", list)).isEqualTo(2);
        assertThat(err).contains("line 2 of the list").contains("\"two\" is no count");
        assertThat(line("stores FILE take-in {}", folder.resolve("none.csv"))).isEqualTo(2);
        assertThat(err).contains("none.csv");
        assertThat(item("MS20426AD3-3.5").at("/kit").asInt()).isEqualTo(560);
    }

    @Test
    void the_order_list_and_labels_go_out_as_files() throws IOException {
        Path csv = folder.resolve("order.csv");
        assertThat(line("export FILE --to csv --what order-list --out {}", csv)).isZero();
        assertThat(Files.readString(csv))
                .startsWith("order,designation,sold by")
                .contains("MS27039-0806");
        Path pdf = folder.resolve("order.pdf");
        assertThat(line("export FILE --to pdf --what order-list --out {}", pdf)).isZero();
        try (PDDocument document = Loader.loadPDF(pdf.toFile())) {
            assertThat(new PDFTextStripper().getText(document))
                    .contains("TO ORDER", "3 ×", "MS27039-0806", "8 to set, 1 spare");
        }
        Path labels = folder.resolve("labels.pdf");
        assertThat(line("export FILE --to pdf --what labels --out {}", labels)).isZero();
        try (PDDocument document = Loader.loadPDF(labels.toFile())) {
            assertThat(new PDFTextStripper().getText(document)).contains("DS-104", "Rear spar, left");
        }
        assertThat(line("export FILE --to svg --what labels --out {}", folder.resolve("labels.svg")))
                .isEqualTo(2);
    }

    @Test
    void a_forecast_is_a_range_that_says_what_it_rests_on() {
        assertThat(line("forecast FILE --json")).isZero();
        JsonNode hours = json().at("/hours");
        assertThat(hours.at("/low").asDouble())
                .isPositive()
                .isLessThan(hours.at("/mid").asDouble());
        assertThat(hours.at("/mid").asDouble()).isLessThan(hours.at("/high").asDouble());
        assertThat(hours.at("/rests_on").asText()).contains("entries with").contains("typical minutes");
        JsonNode date = json().at("/date");
        assertThat(LocalDate.parse(date.at("/low").asText()))
                .isBefore(LocalDate.parse(date.at("/high").asText()));
        assertThat(date.at("/rests_on").asText()).startsWith("the last 8 weeks");
        double all = hours.at("/mid").asDouble();
        assertThat(line("forecast FILE --assembly Stabilator --json")).isZero();
        assertThat(json().at("/hours/mid").asDouble()).isPositive().isLessThanOrEqualTo(all);
        assertThat(line("forecast FILE --assembly Rudder")).isEqualTo(2);
    }

    @Test
    void weight_is_given_in_both_units_and_adds_up() {
        assertThat(line("weight FILE --json")).isZero();
        double sum =
                json().at("/fasteners/lb").asDouble() + json().at("/primer/lb").asDouble();
        for (JsonNode part : json().at("/parts")) {
            assertThat(part.at("/mass/kg").asDouble())
                    .isEqualTo(part.at("/mass/lb").asDouble() * .45359237, Offset.offset(1e-12));
            sum += part.at("/mass/lb").asDouble();
        }
        assertThat(json().at("/total/lb").asDouble()).isEqualTo(sum, Offset.offset(1e-9));
        // The upper skin of .025 in 2024: its outline of some 1 450 square inches weighs 3.6 lb.
        for (JsonNode part : json().at("/parts")) {
            if (part.at("/name").asText().equals("Upper skin")) {
                assertThat(part.at("/mass/lb").asDouble()).isBetween(3.5, 3.7);
            }
        }
    }

    @Test
    void long_stock_clecos_and_cans_lie_beside_the_hardware() {
        assertThat(line("stores FILE --json")).isZero();
        JsonNode first = json().at("/bars/0");
        // 36.06 was cut off the bar of 72, with a saw cut of .06; next are 24.06 and 7.56, each with its saw cut.
        assertThat(first.at("/left/in").asDouble()).isEqualTo(72 - 36.06 - .06, Offset.offset(1e-9));
        assertThat(first.at("/left_then/in").asDouble())
                .isEqualTo(72 - 36.06 - 24.06 - 7.56 - 3 * .06, Offset.offset(1e-9));
        assertThat(json().at("/wanting/0/pieces").asInt()).isEqualTo(5);
        assertThat(json().at("/clecos/0/owned").asInt()).isEqualTo(120);
        assertThat(json().at("/clecos/0/peak").asInt()).isPositive();
        assertThat(json().at("/cans").findValuesAsText("state")).containsExactly("good", "past", "frozen");
        assertThat(line("order-list FILE")).isZero();
        assertThat(out).contains("1 × Angle 3/4 x 3/4, bar of 72.00 in");
    }

    @Test
    void weight_says_what_an_assembly_weighs_and_what_larger_washers_add() {
        assertThat(line("weight FILE --json")).isZero();
        double all = 0;
        for (JsonNode assembly : json().at("/assemblies")) {
            all += assembly.at("/drawn/lb").asDouble();
        }
        assertThat(all).isEqualTo(json().at("/total/lb").asDouble(), Offset.offset(1e-6));
        assertThat(json().at("/larger_washers_add/lb").asDouble()).isPositive();
    }
}
