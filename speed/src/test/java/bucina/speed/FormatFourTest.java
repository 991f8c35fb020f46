package bucina.speed;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.demo.Dunlin;
import bucina.core.log.Logbook;
import bucina.core.plan.Build;
import bucina.store.Document;
import bucina.store.file.BuildFile;
import java.nio.file.Path;
import java.sql.SQLException;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class FormatFourTest {

    @TempDir
    Path folder;

    /** So that what is measured is a build of that format, whatever format is written today. */
    @Test
    void a_build_taken_back_is_brought_up_to_date_again() throws SQLException {
        Catalogue catalogue = CatalogueReader.shipped();
        Build build = Dunlin.build(catalogue.rules());
        Path path = folder.resolve("four.bucina");
        BuildFile.create(path, new Document(build, Logbook.EMPTY, List.of())).close();
        FormatFour.takeBack(path);
        assertThat(folder.toFile().list()).containsExactly("four.bucina");
        try (BuildFile file = BuildFile.open(path)) {
            assertThat(file.read().build().faces())
                    .extracting(f -> f.face().count())
                    .isEqualTo(build.faces().stream().map(f -> f.face().count()).toList());
        }
        assertThat(folder.toFile().list()).anyMatch(name -> name.startsWith("four.bucina.before-version-"));
    }
}
