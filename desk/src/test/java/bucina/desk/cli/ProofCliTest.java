package bucina.desk.cli;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.log.Deed;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.store.file.BuildFile;
import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Proof, close-outs, evidence and merging on the command line. */
class ProofCliTest extends OnCommandLine {

    @BeforeEach
    void demo() {
        file = folder.resolve("demo.bucina");
        assertThat(line("demo stabilator --to {}", file)).isZero();
    }

    private List<String> texts(String pointer) {
        List<String> texts = new ArrayList<>();
        json().at(pointer).forEach(n -> texts.add(n.asText()));
        return texts;
    }

    @ParameterizedTest
    @CsvSource({
        "--head universal --diameter 1/8 --measured .1625x.0500,leave,leave",
        "--head universal --diameter 1/8 --measured .1625x.0375,replace,leave",
        "--head flush --diameter 3/32 --measured .150x.030,replace,leave",
        "--head universal --diameter 1/8 --measured .150x.090,again,again",
        "--head universal --diameter 1/8 --measured .150x.090 --hits 1,replace,replace",
        "--head universal --diameter 1/8 --measured .190x.062 --seen head-gap:40,replace,replace",
        "--head universal --diameter 1/8 --measured .190x.062 --seen head-gap:10:shank,replace,replace",
        "--head flush --diameter 1/8 --measured .190x.062 --seen proud:.006,ask,ask",
        "--head blind --diameter '3.2 mm',leave,leave",
        "--head blind --diameter '3.2 mm' --seen mandrel,replace,replace"
    })
    void a_head_is_judged_by_both_schools(String call, String process, String gauge) {
        assertThat(line("calc judge " + call + " --json")).isZero();
        assertThat(json().at("/process/verdict").asText()).isEqualTo(process);
        assertThat(json().at("/gauge/verdict").asText()).isEqualTo(gauge);
        assertThat(json().at("/governing").asText()).isEqualTo("gauge");
        assertThat(json().at("/process/why").asText()).isNotBlank();
    }

    @ParameterizedTest
    @CsvSource({
        "calc judge --head universal --diameter 1/8,--measured is missing",
        "calc judge --head dome --diameter 1/8 --measured .19x.06,write universal",
        "calc judge --head universal --diameter 1/8 --measured .19x.06 --seen proud:.01,universal head",
        "calc judge --head universal --diameter 1/8 --measured .19x.06 --seen dent,nothing that is judged",
        "calc drillout --head universal --diameter 1/8 --hole .100,cannot have held",
        "calc sample --count 5 --failed 9,0 to 5",
        "log FILE verify --head 12,is no hash",
        "recall FILE,recall wants one fact",
        "recall FILE --rule nothing=3,is not KEY=VALUE",
        "closeout FILE --bay Nowhere,there is no bay",
        "prove FILE --group XX-1,there is no group"
    })
    void what_cannot_be_used_ends_in_a_sentence(String call, String words) {
        assertThat(line(call)).isEqualTo(2);
        assertThat(err).contains(words);
    }

    @Test
    void a_drill_out_says_bit_depth_and_what_goes_in() {
        assertThat(line("calc drillout --head universal --diameter 1/8 --hole .140 --layers .032,.040 --edges .35,.32"
                        + " --json"))
                .isZero();
        assertThat(json().at("/drill/name").asText()).isEqualTo("#31");
        assertThat(json().at("/depth/in").asDouble()).isEqualTo(.054);
        assertThat(json().at("/hollow/name").asText()).isEqualTo("#33");
        assertThat(json().at("/next").asText()).isEqualTo("next");
        assertThat(json().at("/designation").asText()).isEqualTo("MS20470AD5-5");
        assertThat(line("calc drillout --head universal --diameter 1/8 --json")).isZero();
        assertThat(json().at("/next").isNull()).isTrue();
        assertThat(line("calc drillout --head universal --diameter 1/8 --hole .140 --edges .3 --json"))
                .isEqualTo(1);
        assertThat(json().at("/next").asText()).isEqualTo("ask");
        assertThat(json().at("/findings")).isNotEmpty();
    }

    @Test
    void the_sample_of_a_group_follows_from_the_log_and_a_failed_reading_makes_suspects() {
        assertThat(line("prove FILE --group MW-1 --json")).isZero();
        JsonNode group = json().at("/groups/0");
        assertThat(group.at("/set").asInt()).isEqualTo(32);
        assertThat(texts("/groups/0/due")).containsExactly("R1.4", "R1.5", "R1.15", "R2.9", "R2.16");
        assertThat(group.at("/judged/0/gauge/verdict").asText()).isEqualTo("leave");
        assertThat(line("suspects FILE --json")).isZero();
        assertThat(json().at("/count").asInt()).isZero();
        assertThat(line("log FILE add --group LS-1 --row R1 --holes 15-18 --designation MS20426AD3-3.5 --who A"
                        + " --at 2026-11-24T10:00 --minutes 9 --tool squeezer --readings .100x.020 --because x"))
                .isZero();
        assertThat(line("suspects FILE --json")).isZero();
        assertThat(json().at("/suspects/0/cause").asText()).isEqualTo("failed");
        assertThat(json().at("/suspects/0/hole").asText()).isEqualTo("R1.15");
        assertThat(json().at("/count").asInt()).isEqualTo(3);
    }

    @Test
    void a_fact_that_turns_out_otherwise_recalls_what_is_set_and_changes_nothing() throws IOException {
        byte[] before = Files.readAllBytes(file);
        assertThat(line("recall FILE --rule edge.least.flush=4 --json")).isEqualTo(1);
        assertThat(json().at("/lines").size()).isGreaterThan(3);
        assertThat(json().at("/lines/0/rule").asText()).isEqualTo("edge-distance-least");
        double last = 99;
        for (JsonNode line : json().at("/lines")) {
            assertThat(line.at("/over").asDouble()).isLessThanOrEqualTo(last + 1e-12);
            last = line.at("/over").asDouble();
        }
        assertThat(line("recall FILE --hole-size .098 --group US-1")).isZero();
        assertThat(Files.readAllBytes(file)).isEqualTo(before);
    }

    @Test
    void the_log_is_verified_and_held_against_a_hash() {
        assertThat(line("log FILE verify --json")).isZero();
        assertThat(json().at("/ok").asBoolean()).isTrue();
        assertThat(json().at("/entries").asInt()).isEqualTo(39);
        assertThat(json().at("/first_broken").isNull()).isTrue();
        String head = json().at("/heads/0").asText();
        assertThat(line("log FILE add --job deburr-edges:x --who A --at 2026-11-24T10:00 --minutes 1"))
                .isEqualTo(2);
        assertThat(line("log FILE verify --head " + head)).isZero();
        assertThat(line("log FILE verify --head " + "0".repeat(64))).isEqualTo(1);
    }

    @Test
    void a_bay_is_listed_signed_and_only_then_closed() {
        file = folder.resolve("locker.bucina");
        assertThat(line("demo locker --to {}", file)).isZero();
        assertThat(line("closeout FILE --bay 'Lap bay' --json")).isZero();
        assertThat(json().at("/open/0/kind").asText()).isEqualTo("fastener");
        assertThat(json().at("/open/0/text").asText()).isEqualTo("BS-1: 18 not set");
        assertThat(texts("/closed_by")).containsExactly("Closing sheet");
        assertThat(json().at("/signed").isNull()).isTrue();
        assertThat(line("closeout FILE --bay 'Lap bay' --sign --who A --at 2026-11-24T10:00"))
                .isEqualTo(2);
        assertThat(err).contains("BS-1: 18 not set");
        assertThat(line("closeout FILE --bay 'Lap bay' --sign --who A --at 2026-11-24T10:00"
                        + " --left 'BS-1: 18 not set=from outside'"
                        + " --left 'Belly stringers: deburr the edges=done at the shop' --json"))
                .isZero();
        assertThat(json().at("/signed/who").asText()).isEqualTo("A");
        assertThat(json().at("/signed/left")).hasSize(2);
        Path sheet = folder.resolve("closeout.pdf");
        assertThat(line("export FILE --to pdf --what closeout --bay 'Lap bay' --out {}", sheet))
                .isZero();
        assertThat(sheet).isNotEmptyFile();
    }

    @Test
    void the_evidence_reads_back_the_hours_counts_and_dates_of_the_log() throws IOException {
        Path pdf = folder.resolve("evidence.pdf");
        assertThat(line("export FILE --to pdf --what evidence --out {}", pdf)).isZero();
        String text;
        try (PDDocument document = Loader.loadPDF(pdf.toFile())) {
            text = new PDFTextStripper().getText(document);
        }
        Logbook log;
        try (BuildFile open = BuildFile.openToRead(file)) {
            log = open.read().log();
            assertThat(text).contains(open.state().chain().heads().getFirst());
        }
        int minutes = log.entries().stream()
                .filter(log::inForce)
                .flatMap(e -> e.deed().stream())
                .mapToInt(Deed::minutes)
                .sum();
        assertThat(text)
                .contains("Hours in all: %d h %02d min.".formatted(minutes / 60, minutes % 60))
                .contains("Entries: " + log.entries().size() + ".");
        for (LogEntry entry : log.entries()) {
            String day = entry.deed().orElseThrow().done().toString().replace('T', ' ');
            assertThat(text).contains(entry.id() + " " + day);
        }
        Path csv = folder.resolve("evidence.csv");
        assertThat(line("export FILE --to csv --what evidence --out {}", csv)).isZero();
        assertThat(Files.readAllLines(csv)).hasSize(log.entries().size() + 1);
    }

    @Test
    void an_x_ray_shows_a_spot_and_departures_are_listed() {
        Path pdf = folder.resolve("x.pdf");
        assertThat(line("export FILE --to pdf --what x-ray --face 'Main spar web' --at 10,1.4 --out {}", pdf))
                .isZero();
        Path svg = folder.resolve("x.svg");
        assertThat(line("export FILE --to svg --what x-ray --face 'Main spar web' --at 10,1.4 --size 3 --out {}", svg))
                .isZero();
        assertThat(svg).content().contains("R1.", "X-ray of Main spar web");
        assertThat(line("departures FILE --json")).isZero();
        assertThat(json().at("/departures")).isEmpty();
    }

    @Test
    void two_benches_of_one_build_come_together_and_strangers_do_not() throws IOException {
        Path other = folder.resolve("other.bucina");
        Files.copy(file, other);
        assertThat(line("part FILE add 'New here'")).isZero();
        assertThat(line("part {} add 'New there'", other)).isZero();
        Path both = folder.resolve("both.bucina");
        assertThat(line("merge FILE {} --out " + both, other)).isZero();
        Path first = file;
        file = both;
        assertThat(line("parts FILE --json")).isZero();
        List<String> names = new ArrayList<>();
        json().at("/parts").forEach(p -> names.add(p.at("/name").asText()));
        assertThat(names).contains("New here", "New there");
        assertThat(line("log FILE verify")).isZero();
        Path stranger = folder.resolve("stranger.bucina");
        assertThat(line("demo locker --to {}", stranger)).isZero();
        assertThat(line("merge {} " + first + " --out " + folder.resolve("no.bucina"), stranger))
                .isEqualTo(2);
        assertThat(err).contains("share no history");
        assertThat(Optional.of(folder.resolve("no.bucina")))
                .get()
                .satisfies(p -> assertThat(p).doesNotExist());
    }
}
