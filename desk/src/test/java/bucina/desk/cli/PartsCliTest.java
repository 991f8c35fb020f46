package bucina.desk.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

class PartsCliTest extends OnCommandLine {

    @BeforeEach
    void demo() {
        file = folder.resolve("demo.bucina");
        assertThat(line("demo stabilator --to {}", file)).isZero();
    }

    private JsonNode part(String name) {
        assertThat(line("parts FILE --json")).isZero();
        for (JsonNode part : json().at("/parts")) {
            if (part.at("/name").asText().equals(name)) {
                return part;
            }
        }
        throw new AssertionError("no part " + name);
    }

    @Test
    void swing_is_worked_out() {
        assertThat(line("calc swing --spread .75 --slop .003 --reach 9 --json")).isZero();
        assertThat(json().at("/swing/in").asDouble()).isCloseTo(.036, within(1e-9));
        assertThat(json().at("/free").asBoolean()).isFalse();
        assertThat(line("calc swing --spread 0 --slop .003 --reach 9 --json")).isZero();
        assertThat(json().at("/swing").isNull()).isTrue();
        assertThat(json().at("/free").asBoolean()).isTrue();
        assertThat(line("calc swing --spread -1 --slop .003 --reach 9")).isEqualTo(2);
    }

    @Test
    void a_misfit_is_named() {
        assertThat(line("calc misfit --holes 0,0;4,0;8,0;12,0 --offsets 0,0;.01,.02;0,0;0,0 --json"))
                .isZero();
        assertThat(json().at("/verdict").asText()).isEqualTo("one-hole");
        assertThat(json().at("/pull").asInt()).isEqualTo(1);
        assertThat(json().at("/residuals/1/in").asDouble()).isCloseTo(Math.hypot(.01, .02), within(1e-9));
        assertThat(line("calc misfit --holes 0,0;100,0;200,0 --offsets 1,0;1,0;1,0 --unit mm --json"))
                .isZero();
        assertThat(json().at("/verdict").asText()).isEqualTo("moved");
        assertThat(json().at("/shift/x/mm").asDouble()).isCloseTo(1, within(1e-9));
        assertThat(json().at("/say").asText()).contains("1.00 mm too far toward +x");
        assertThat(line("calc misfit --holes 0,0;4,0 --offsets 0,0;0,0")).isEqualTo(2);
        assertThat(err).contains("three holes or more").contains("like 0,0;4,0;8,0");
    }

    @Test
    void a_part_is_told_of_and_stays_so() {
        assertThat(part("Main rib 3").at("/standing").asText()).isEqualTo("dry");
        assertThat(part("Main rib 3").at("/faces")).hasSize(4);
        assertThat(line("part FILE set 'Main rib 3' --number DX-9 --standing out --due 2026-12-04 --measured .0315"))
                .isZero();
        JsonNode rib = part("Main rib 3");
        assertThat(rib.at("/standing").asText()).isEqualTo("out");
        assertThat(rib.at("/due").asText()).isEqualTo("2026-12-04");
        assertThat(rib.at("/number").asText()).isEqualTo("DX-9");
        assertThat(rib.at("/measured/in").asDouble()).isCloseTo(.0315, within(1e-9));
        assertThat(line("part FILE set DX-9 --standing dry")).isZero();
        assertThat(part("Main rib 3").at("/due").isNull()).isTrue();
    }

    @Test
    void a_part_more_is_in_the_crate_and_a_second_of_its_name_is_refused() {
        assertThat(line("part FILE add 'Trim lever' --alloy 6061-T6 --kind angle --called .125"))
                .isZero();
        assertThat(part("Trim lever").at("/standing").asText()).isEqualTo("crate");
        assertThat(part("Trim lever").at("/faces")).isEmpty();
        assertThat(line("part FILE add 'Trim lever'")).isEqualTo(2);
        assertThat(err).contains("there is a part Trim lever already");
        assertThat(line("part FILE set Nothing --standing dry")).isEqualTo(2);
        assertThat(line("part FILE set 'Trim lever' --standing gone")).isEqualTo(2);
        assertThat(err).contains("crate, here, dry, off, on, out, short");
        assertThat(line("part FILE set 'Trim lever' --due 2026-12-04")).isEqualTo(2);
    }

    @Test
    void what_is_on_for_good_everywhere_does_not_come_off() {
        assertThat(line("part FILE set 'Access ring' --standing off")).isEqualTo(2);
        assertThat(err).contains("on for good on Lower skin");
        assertThat(part("Access ring").at("/standing").asText()).isEqualTo("on");
    }

    @Test
    void work_on_a_part_is_logged_and_no_longer_owed() {
        assertThat(part("Main rib 6").at("/owed").toString()).contains("deburr-edges");
        assertThat(line("log FILE add --job 'deburr-edges:Main rib 6' --who A --at 2026-11-20T10:00 --minutes 20"))
                .isZero();
        assertThat(part("Main rib 6").at("/owed").toString()).doesNotContain("deburr-edges");
        assertThat(line("log FILE --json")).isZero();
        JsonNode last = json().at("/entries").get(json().at("/entries").size() - 1);
        assertThat(last.at("/work/kind").asText()).isEqualTo("part");
        assertThat(last.at("/work/minutes").asInt()).isEqualTo(20);
        assertThat(line("log FILE add --job 'polish:Main rib 3' --who A --at 2026-11-20 --minutes 2"))
                .isEqualTo(2);
        assertThat(err).contains("is no job");
        assertThat(line("log FILE add --job own:999999 --who A --at 2026-11-20 --minutes 2"))
                .isEqualTo(2);
        assertThat(line("log FILE add --job 'deburr-edges:Main rib 3' --at 2026-11-20 --minutes 2"))
                .isEqualTo(2);
        assertThat(err).contains("--who is missing");
    }

    @Test
    void holes_worked_as_a_job_are_marked_with_their_minutes() {
        assertThat(line("log FILE add --job 'deburr:US-4:R8:Upper skin' --who A --at 2026-11-20T10:00 --minutes 12"))
                .isZero();
        assertThat(line("log FILE add --job 'deburr:US-4:R8:Upper skin' --who A --at 2026-11-20T10:00 --minutes 12"))
                .isEqualTo(2);
        assertThat(err).contains("nothing is left to be done");
        assertThat(line("log FILE add --job 'countersink:US-4:R8:Upper skin' --who A --at 2026-11-20 --minutes 1"))
                .isEqualTo(2);
    }

    @Test
    void what_was_found_counts_as_done_without_hours() {
        assertThat(line("log FILE add --as-found --group US-1 --row R1")).isZero();
        assertThat(line("groups FILE --json")).isZero();
        assertThat(json().at("/groups/0/installed").asInt()).isPositive();
        assertThat(line("log FILE add --as-found --group US-1 --row R1")).isEqualTo(2);
        assertThat(line("log FILE add --as-found --part 'Main spar' --minutes 5"))
                .isEqualTo(2);
        assertThat(line("log FILE add --as-found --part 'Main spar'")).isZero();
        assertThat(part("Main spar").at("/owed")).isEmpty();
    }
}
