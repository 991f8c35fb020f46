package bucina.speed;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What the fuzzer found once is read now, or refused in a sentence. */
class FoundInputsTest {

    private static final Path FOUND = Path.of("src/test/resources/found");

    @ParameterizedTest
    @EnumSource(Fuzz.Reader.class)
    void what_was_found_is_read_or_refused_in_a_sentence(Fuzz.Reader reader) throws IOException {
        Path folder = FOUND.resolve(reader.name().toLowerCase(Locale.ROOT));
        if (!Files.isDirectory(folder)) {
            // Nothing was found in it; it still reads nothing without falling over.
            assertThatCode(() -> Fuzz.read(reader, new byte[0])).doesNotThrowAnyException();
            return;
        }
        try (Stream<Path> inputs = Files.list(folder)) {
            inputs.forEach(input -> assertThatCode(() -> Fuzz.read(reader, Files.readAllBytes(input)))
                    .as("%s", input)
                    .doesNotThrowAnyException());
        }
    }

    @Test
    void a_photograph_with_its_place_is_taken() throws IOException {
        assertThat(Fuzz.read(Fuzz.Reader.PHOTO, Files.readAllBytes(FOUND.resolve("photo/placed.jpg"))))
                .isTrue();
    }
}
