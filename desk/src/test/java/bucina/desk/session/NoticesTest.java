package bucina.desk.session;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class NoticesTest {

    @ParameterizedTest
    @CsvSource({
        "marking 12 holes deburred, Marked 12 holes deburred.",
        "logging 14 of US-1, Logged 14 of US-1.",
        "making Upper skin, Made Upper skin.",
        "moving a hole, Moved a hole.",
        "changing the thickness of Rib 3, Changed the thickness of Rib 3.",
        "dropping a kept sum, Dropped a kept sum.",
        "deleting R3, Deleted R3.",
        "withdrawing entry 4, Withdrew entry 4.",
        "bringing in a drawing, Brought in a drawing.",
        "Root cuff is in place, Root cuff is in place.",
        "stirring, Stirred.",
        "a reading of square, A reading of square."
    })
    void what_is_being_done_is_said_as_done(String doing, String done) {
        assertThat(Notices.past(doing)).isEqualTo(done);
    }
}
