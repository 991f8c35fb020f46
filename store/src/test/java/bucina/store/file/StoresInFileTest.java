package bucina.store.file;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.measure.Length;
import bucina.core.plan.Build;
import bucina.core.plan.Can;
import bucina.core.plan.Packed;
import bucina.core.plan.Weighing;
import bucina.core.plan.Workshop;
import bucina.core.stores.Balance;
import bucina.core.stores.TakeIn;
import bucina.store.Demo;
import bucina.store.Document;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The packing list and the stores in the build file, and files of before there were any. */
class StoresInFileTest {

    @TempDir
    private Path folder;

    private static Build stored(Build build) {
        Build taken = TakeIn.list(
                build,
                List.of(new TakeIn.Line(
                        "DS-104", "Rear spar", 1, "crate 1", Optional.of(Length.in(.040)), Optional.empty())));
        return Balance.with(taken, "MS20426AD3-3.5", i -> i.withKit(420).kept("drawer 3", 100));
    }

    @Test
    void what_is_taken_in_is_there_when_the_file_is_opened_again() {
        Path path = folder.resolve("a.bucina");
        Build kept;
        try (BuildFile file = BuildFile.create(path, Demo.document())) {
            kept = stored(file.read().build());
            file.save(kept);
        }
        try (BuildFile file = BuildFile.openToRead(path)) {
            assertThat(file.read().build()).isEqualTo(kept);
            assertThat(file.read().build().workshop().packing())
                    .extracting(Packed::number)
                    .containsExactly("DS-104");
        }
    }

    @Test
    void a_file_of_version_11_has_no_stores_and_takes_them_from_then_on() throws SQLException {
        Path path = folder.resolve("eleven.bucina");
        Document demo = Demo.document();
        Build before = demo.build()
                .withWorkshop(
                        new Workshop(demo.build()
                                .workshop()
                                .withPacking(List.of())
                                .withStores(List.of())
                                .withBars(List.of())
                                .shelf()
                                .with(Can.class, List.of())
                                .with(Weighing.class, List.of())),
                        demo.build().nextId());
        BuildFile.create(path, new Document(before, demo.log(), demo.photos())).close();
        try (Connection c = DriverManager.getConnection("jdbc:sqlite:" + path);
                Statement s = c.createStatement()) {
            s.execute("DROP TABLE stores_item");
            s.execute("DROP TABLE packed");
            s.execute("DROP TABLE bar");
            s.execute("DROP TABLE can");
            s.execute("DROP TABLE weighing");
            s.execute("PRAGMA user_version = 11");
        }
        try (BuildFile file = BuildFile.open(path)) {
            assertThat(file.read().build()).isEqualTo(before);
            file.save(stored(file.read().build()));
            assertThat(file.read().build().workshop().stores()).hasSize(1);
        }
        assertThat(folder.resolve("eleven.bucina.before-version-13")).exists();
    }
}
