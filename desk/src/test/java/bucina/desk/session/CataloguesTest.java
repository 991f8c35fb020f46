package bucina.desk.session;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import bucina.core.catalogue.CatalogueReader;
import bucina.core.measure.InputException;
import java.io.BufferedReader;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The builder's own tables. */
class CataloguesTest {

    @TempDir
    private Path folder;

    private static String shipped(String name) throws IOException {
        try (BufferedReader table = new BufferedReader(CatalogueReader.shippedTable(name))) {
            return table.lines().collect(Collectors.joining("\n", "", "\n"));
        }
    }

    @Test
    void a_table_that_is_not_utf_8_is_named_with_its_line_and_the_shipped_one_counts() throws IOException {
        String table = shipped("rivets");
        int second = table.indexOf('\n') + 1;
        String own = table.substring(0, second) + "\u00e9" + table.substring(second);
        Files.write(folder.resolve("rivets.csv"), own.getBytes(StandardCharsets.ISO_8859_1));
        Catalogues.InForce read = Catalogues.read(folder);
        assertThat(read.said())
                .singleElement()
                .asString()
                .contains(
                        folder.resolve("rivets.csv").toString(),
                        "not UTF-8 text at line 2",
                        "the shipped table counts");
        assertThat(read.catalogue().rivets())
                .isEqualTo(CatalogueReader.shipped().rivets());
    }

    @Test
    void a_word_that_no_table_has_is_named_without_words_of_the_program() throws IOException {
        Files.writeString(folder.resolve("rivets.csv"), shipped("rivets").replaceFirst("FLUSH", "SUNK"));
        assertThatThrownBy(() -> Catalogues.read(folder))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("SUNK")
                .hasMessageContaining("must be one of")
                .hasMessageNotContaining("bucina.core");
    }
}
