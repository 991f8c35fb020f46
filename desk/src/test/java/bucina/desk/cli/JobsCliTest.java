package bucina.desk.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.Iterator;
import java.util.Map;
import java.util.Set;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

class JobsCliTest extends OnCommandLine {

    @BeforeEach
    void demo() {
        file = folder.resolve("demo.bucina");
        assertThat(line("demo stabilator --to {}", file)).isZero();
    }

    private JsonNode job(String id) {
        assertThat(line("jobs FILE --json")).isZero();
        for (JsonNode job : json().at("/jobs")) {
            if (job.at("/id").asText().equals(id)) {
                return job;
            }
        }
        throw new AssertionError("no job " + id);
    }

    @Test
    void a_job_says_what_it_needs_what_comes_before_it_and_why() {
        JsonNode job = job("dimple:US-4:R8:Upper skin");
        assertThat(job.at("/operation").asText()).isEqualTo("dimple");
        assertThat(job.at("/face").asText()).isEqualTo("Upper skin");
        assertThat(job.at("/holes")).hasSize(5);
        assertThat(job.at("/setup/die").asText()).contains("100° dies");
        assertThat(job.at("/people").asInt()).isEqualTo(1);
        Set<String> before = new HashSet<>();
        job.at("/after")
                .forEach(a ->
                        before.add(a.at("/rule").asText() + " " + a.at("/job").asText()));
        assertThat(before).contains("P1 deburr:US-4:R8:Upper skin", "P2 off:Upper skin");
        JsonNode cuff = job("on:Root cuff");
        assertThat(cuff.at("/holds/0/rule").asText()).isEqualTo("P9");
        assertThat(cuff.at("/holds/0/text").asText()).contains("Root cuff is out, due 2026-12-04");
    }

    @Test
    void the_order_has_every_open_job_once_and_loses_no_less_than_its_bound() {
        assertThat(line("jobs FILE --open --json")).isZero();
        Set<String> open = new HashSet<>();
        json().at("/jobs").forEach(j -> open.add(j.at("/id").asText()));
        assertThat(line("order FILE --json")).isZero();
        Set<String> ordered = new HashSet<>();
        json().at("/order")
                .forEach(j -> assertThat(ordered.add(j.at("/id").asText())).isTrue());
        assertThat(ordered).isEqualTo(open);
        assertThat(json().at("/lost_minutes").asDouble())
                .isGreaterThanOrEqualTo(json().at("/bound").asDouble());
        assertThat(json().at("/as_drawn").asDouble())
                .isGreaterThanOrEqualTo(json().at("/lost_minutes").asDouble());
        assertThat(line("order FILE --assembly Nothing")).isEqualTo(2);
        assertThat(err).contains("there is no assembly \"Nothing\"");
    }

    @Test
    void a_job_is_logged_by_its_name_with_its_marks_and_is_done() {
        assertThat(line("log FILE add --job 'set:US-4:R8:-:1' --who M --at 2026-11-22T19:30 --minutes 5"))
                .isEqualTo(2);
        assertThat(err).contains("R8.1 in Upper skin is not deburred");
        assertThat(line("log FILE add --job 'deburr:US-4:R8:Nose rib 5' --who M --at 2026-11-22T19:30 --minutes 5"))
                .isZero();
        assertThat(job("deburr:US-4:R8:Nose rib 5").at("/done").asBoolean()).isTrue();
        assertThat(line("log FILE add --job 'off:Upper skin' --who M --at 2026-11-22T19:40 --minutes 9"))
                .isZero();
        assertThat(standing("Upper skin")).isEqualTo("off");
        assertThat(line("log FILE add --job 'off:Nobody' --who M --at 2026-11-22T19:40 --minutes 9"))
                .isEqualTo(2);
        assertThat(err).contains("there is no job \"off:Nobody\"");
    }

    @Test
    void tonight_fits_and_its_card_has_every_count_right() throws Exception {
        assertThat(line("tonight FILE --hours 6 --helper --json")).isZero();
        JsonNode tonight = json();
        double minutes = 0;
        for (JsonNode job : tonight.at("/jobs")) {
            minutes += job.at("/minutes").asDouble() + job.at("/lost").asDouble();
        }
        assertThat(minutes)
                .isLessThanOrEqualTo(360)
                .isCloseTo(tonight.at("/minutes").asDouble(), within(1e-6));
        Path card = folder.resolve("card.pdf");
        assertThat(line("export FILE --to pdf --what evening --hours 6 --helper --out {}", card))
                .isZero();
        try (var pdf = Loader.loadPDF(Files.readAllBytes(card))) {
            assertThat(pdf.getNumberOfPages()).isEqualTo(1);
            String text = new PDFTextStripper().getText(pdf).replaceAll("\\s+", " ");
            for (JsonNode job : tonight.at("/jobs")) {
                if (!job.at("/holes").isEmpty()) {
                    String row = job.at("/holes/0").asText().replaceAll("\\..*", "");
                    assertThat(text).contains(" " + job.at("/count").asInt()).contains(row);
                }
            }
            Iterator<Map.Entry<String, JsonNode>> fasteners =
                    tonight.at("/lay_out/fasteners").properties().iterator();
            while (fasteners.hasNext()) {
                Map.Entry<String, JsonNode> each = fasteners.next();
                assertThat(text).contains(each.getValue().asInt() + " × " + each.getKey());
            }
        }
        assertThat(line("tonight FILE --hours 30")).isEqualTo(2);
        assertThat(err).contains("such as 2.5, were 30.0");
    }

    @Test
    void a_slip_says_whether_the_next_size_keeps_its_edge() {
        assertThat(line("slip FILE --hole 'Upper skin R25.1' --json")).isZero();
        assertThat(json().at("/undo").asText()).isEqualTo("replace part");
        assertThat(json().at("/next_diameter/ok").asBoolean()).isFalse();
        assertThat(line("slip FILE --hole 'Upper skin R25.1' --operation set --json"))
                .isZero();
        assertThat(json().at("/undo").asText()).isEqualTo("yes");
        assertThat(line("slip FILE --hole 'Upper skin R99.1'")).isEqualTo(2);
        assertThat(err).contains("no hole \"R99.1\"");
    }

    private String standing(String name) {
        assertThat(line("parts FILE --json")).isZero();
        for (JsonNode part : json().at("/parts")) {
            if (part.at("/name").asText().equals(name)) {
                return part.at("/standing").asText();
            }
        }
        throw new AssertionError("no part " + name);
    }

    @Test
    void heads_are_proved_as_a_job_with_a_reading_for_each() {
        JsonNode heads = job("prove:RW-2:R1:-");
        assertThat(heads.at("/operation").asText()).isEqualTo("prove");
        assertThat(heads.at("/holes")).hasSize(4);
        String add = "log FILE add --job prove:RW-2:R1:- --who A --at 2026-11-21T10:00 --minutes 2";
        assertThat(line(add)).isEqualTo(2);
        assertThat(err).contains("give 4 readings").contains("R1.4, R1.5, R1.15, R1.22");
        assertThat(job("prove:RW-2:R1:-").at("/done").asBoolean()).isFalse();
        assertThat(line(add + " --readings .190x.062,.190x.062,.190x.062,.190x.062"))
                .isZero();
        assertThat(job("prove:RW-2:R1:-").at("/done").asBoolean()).isTrue();
        assertThat(line("order FILE --json")).isZero();
        json().at("/order").forEach(o -> assertThat(o.at("/id").asText()).isNotEqualTo("prove:RW-2:R1:-"));
    }
}
