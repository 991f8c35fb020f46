package bucina.store.file;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import bucina.core.catalogue.CatalogueReader;
import bucina.core.edit.Edit;
import bucina.core.edit.NutPlateEdits;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.nutplate.NutPlate;
import bucina.core.nutplate.NutPlateLayout;
import bucina.core.plan.Batch;
import bucina.core.plan.Build;
import bucina.core.plan.Compound;
import bucina.core.plan.Face;
import bucina.core.plan.FitReading;
import bucina.core.plan.Id;
import bucina.core.plan.IndexMark;
import bucina.core.plan.KeptSum;
import bucina.core.plan.Layer;
import bucina.core.plan.SheetHoles;
import bucina.core.plan.Tool;
import bucina.core.plan.Workshop;
import bucina.core.rule.RuleKey;
import bucina.store.Demo;
import bucina.store.Document;
import bucina.store.json.BuildJson;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Files of older versions are made by taking away what the later ones added. */
class OlderVersionsTest {

    @TempDir
    private Path folder;

    private Path version1() throws SQLException {
        return OldFile.version1(folder.resolve("old.bucina"));
    }

    /** The demo without what a file before format 8 cannot say of faces: pages, and how holes of a sheet come. */
    private static Build before8() {
        Build now = Demo.document().build();
        for (Build.FaceRef ref : now.faces()) {
            now = now.with(
                    ref.face()
                            .withGroups(ref.face().groups().stream()
                                    .map(g -> g.withPage(""))
                                    .toList())
                            .withLayers(ref.face().layers().stream()
                                    .map(l -> l.with(SheetHoles.NONE))
                                    .toList()),
                    now.nextId());
        }
        return now;
    }

    @Test
    void an_older_file_is_brought_up_to_date_with_a_copy_kept() throws SQLException {
        Path path = version1();
        Build expected = before8();
        try (BuildFile file = BuildFile.open(path)) {
            Build read = file.read().build();
            assertThat(read.assemblies()).isEqualTo(expected.assemblies());
            assertThat(read.rules().rule(RuleKey.LAP_BACK).value()).isEqualTo("3 in");
            file.save(read.withRules(read.rules().with(RuleKey.LAP_BACK, "4 in", "stiff skin")));
            assertThat(file.read().build().rules().rule(RuleKey.LAP_BACK).value())
                    .isEqualTo("4 in");
        }
        assertThat(folder.resolve("old.bucina.before-version-13")).exists();
    }

    @Test
    void a_file_of_version_2_gets_an_empty_workshop_and_keeps_what_is_put_there() throws SQLException {
        Path path = folder.resolve("two.bucina");
        BuildFile.create(path, Demo.document()).close();
        try (Connection c = DriverManager.getConnection("jdbc:sqlite:" + path);
                Statement s = c.createStatement()) {
            OldFile.toVersion7(s);
            s.execute("DROP TABLE state");
            s.execute("DROP TABLE seal");
            s.execute("ALTER TABLE part DROP COLUMN kind");
            s.execute("DROP TABLE kept_sum");
            s.execute("DROP TABLE tool");
            s.execute("DROP TABLE batch");
            s.execute("DROP TABLE index_mark");
            s.execute("DROP TABLE fit_reading");
            s.execute("ALTER TABLE mark DROP COLUMN done");
            s.execute("ALTER TABLE mark DROP COLUMN note");
            s.execute("PRAGMA user_version = 2");
        }
        try (BuildFile file = BuildFile.open(path)) {
            Build read = file.read().build();
            assertThat(read.workshop()).isEqualTo(Workshop.NONE);
            KeptSum sum = new KeptSum(
                    new Id.Sum(read.nextId()),
                    "bend",
                    "Clip",
                    Optional.of(read.parts().getFirst().id()),
                    Unit.MM,
                    Map.of("legs", "20, 30"));
            Tool drill = new Tool(
                    new Id.Tool(read.nextId() + 1),
                    Tool.Kind.STEP_DRILL,
                    "Bench step drill",
                    List.of(Length.fraction(1, 8), Length.mm(6)));
            file.save(read.withWorkshop(Workshop.NONE.with(sum).withTools(List.of(drill)), read.nextId() + 2));
            assertThat(file.read().build().workshop())
                    .isEqualTo(Workshop.NONE.with(sum).withTools(List.of(drill)));
            file.save(file.read().build().withWorkshop(Workshop.NONE, 1));
            assertThat(file.read().build().workshop()).isEqualTo(Workshop.NONE);
        }
    }

    @Test
    void a_file_of_version_3_keeps_its_workshop_and_takes_batches_marks_and_readings() throws SQLException {
        Path path = folder.resolve("three.bucina");
        BuildFile.create(path, Demo.document()).close();
        Workshop kept = Demo.document().build().workshop();
        backToThree(path);
        Instant at = Instant.parse("2026-11-25T10:00:00Z");
        try (BuildFile file = BuildFile.open(path)) {
            Build read = file.read().build();
            assertThat(read.workshop().sums()).isEqualTo(kept.sums());
            assertThat(read.workshop().batches()).isEmpty();
            Id.Face face = read.faces().getFirst().face().id();
            Batch batch = Batch.mixed(
                    new Id.Batch(read.nextId()),
                    new Compound("Sealant", Compound.Kind.SEALANT, 0, 120, 0),
                    at,
                    List.of(new Batch.Surface(
                            read.faces().getFirst().face().layers().getFirst().id(), true)));
            Workshop more = more(read, batch, at, face);
            file.save(read.withWorkshop(more, read.nextId() + 4).checked());
            assertThat(file.read().build().workshop()).isEqualTo(more);
            Workshop later = more.with(batch.stirred(at.plusSeconds(9)).ended(at.plusSeconds(10)))
                    .unmarked(read.parts().getFirst().id());
            file.save(read.withWorkshop(later, read.nextId() + 4).checked());
            assertThat(file.read().build().workshop()).isEqualTo(later);
        }
        assertThat(folder.resolve("three.bucina.before-version-13")).exists();
    }

    private static Workshop more(Build read, Batch batch, Instant at, Id.Face face) throws SQLException {
        return read.workshop()
                .with(batch)
                .with(new IndexMark(
                        new Id.Index(read.nextId() + 1), read.parts().getFirst().id(), "OUTBD", at))
                .with(new FitReading(
                        new Id.Fit(read.nextId() + 2),
                        face,
                        FitReading.Kind.SQUARE,
                        false,
                        List.of(1.5e9, Length.fraction(1, 3).nanometres()),
                        at))
                .with(new FitReading(
                        new Id.Fit(read.nextId() + 3), face, FitReading.Kind.TWIST, false, List.of(.1, -.05), at));
    }

    private static void backToThree(Path path) throws SQLException {
        try (Connection c = DriverManager.getConnection("jdbc:sqlite:" + path);
                Statement s = c.createStatement()) {
            OldFile.toVersion7(s);
            s.execute("DROP TABLE state");
            s.execute("DROP TABLE seal");
            s.execute("ALTER TABLE part DROP COLUMN kind");
            s.execute("DROP TABLE batch");
            s.execute("DROP TABLE index_mark");
            s.execute("DROP TABLE fit_reading");
            s.execute("PRAGMA user_version = 3");
        }
    }

    /** A build with nut plates of this program's own names, and a sheet that is only called like one. */
    private static Document plated() {
        Document demo = Demo.document();
        var catalogue = CatalogueReader.shipped();
        Face lower = demo.build().face("Lower skin").orElseThrow().face();
        NutPlateLayout ring = NutPlateEdits.lay(
                lower,
                NutPlateEdits.pattern(NutPlateEdits.screwRows(lower).getFirst()),
                NutPlate.of(catalogue.nutPlates(), "8"),
                catalogue.rules());
        Build build = NutPlateEdits.add(demo.build(), lower.id(), ring, Length.in(.025), false);
        Layer ringSheet = lower.layers().stream()
                .filter(l -> l.name().equals("Access ring"))
                .findFirst()
                .orElseThrow();
        return new Document(
                Edit.layer(
                        build,
                        ringSheet.id(),
                        l -> new Layer(l.id(), l.part(), "Nut plate ring", l.thickness(), l.outline(), l.bends())),
                demo.log(),
                demo.photos());
    }

    @Test
    void nut_plates_of_version_5_were_known_by_name_and_are_a_kind_of_part_from_then_on() throws SQLException {
        Path path = folder.resolve("five.bucina");
        Document plated = plated();
        BuildFile.create(path, plated).close();
        try (Connection c = DriverManager.getConnection("jdbc:sqlite:" + path);
                Statement s = c.createStatement()) {
            OldFile.toVersion7(s);
            s.execute("DROP TABLE state");
            s.execute("DROP TABLE seal");
            s.execute("ALTER TABLE part DROP COLUMN kind");
            s.execute("PRAGMA user_version = 5");
        }
        try (BuildFile file = BuildFile.open(path)) {
            assertThat(NutPlateEdits.plates(file.read().build())).isEqualTo(NutPlateEdits.plates(plated.build()));
        }
        ObjectNode json = BuildJson.write(plated);
        assertThat(BuildJson.read(json).build().parts())
                .isEqualTo(plated.build().parts());
        json.put("version", 5);
        json.withArray("parts").forEach(p -> ((ObjectNode) p).remove("kind"));
        assertThat(NutPlateEdits.plates(BuildJson.read(json).build())).isEqualTo(NutPlateEdits.plates(plated.build()));
        assertThat(NutPlateEdits.plates(plated.build())).hasSize(1);
    }

    @Test
    void an_older_file_that_is_only_read_stays_as_it_is() throws SQLException, IOException {
        Path path = version1();
        byte[] before = Files.readAllBytes(path);
        try (BuildFile file = BuildFile.openToRead(path)) {
            assertThat(file.document().build().assemblies()).isEqualTo(before8().assemblies());
        }
        assertThat(Files.readAllBytes(path)).isEqualTo(before);
        assertThat(folder.resolve("old.bucina.before-version-13")).doesNotExist();
    }

    @Test
    void of_two_that_open_an_old_file_at_once_one_brings_it_up_and_the_copy_is_the_old_one() throws Exception {
        Path path = version1();
        byte[] old = Files.readAllBytes(path);
        Callable<Build> opener = () -> {
            try (BuildFile file = BuildFile.open(path)) {
                return file.read().build();
            }
        };
        try (ExecutorService two = Executors.newFixedThreadPool(4)) {
            for (Future<Build> each : two.invokeAll(List.of(opener, opener, opener, opener))) {
                assertThat(each.get().assemblies()).isEqualTo(before8().assemblies());
            }
        }
        Path copy = folder.resolve("old.bucina.before-version-13");
        assertThat(Files.readAllBytes(copy)).isEqualTo(old);
        try (Stream<Path> left = Files.list(folder)) {
            assertThat(left).containsExactlyInAnyOrder(path, copy);
        }
    }

    @Test
    void no_check_sum_is_put_on_an_old_file_that_makes_no_sense() throws SQLException, IOException {
        Path path = version1();
        try (Connection c = DriverManager.getConnection("jdbc:sqlite:" + path);
                Statement s = c.createStatement()) {
            s.execute("UPDATE layer SET thickness_nm = 1e-85 WHERE position = 0");
        }
        byte[] before = Files.readAllBytes(path);
        assertThatThrownBy(() -> BuildFile.open(path))
                .isInstanceOf(BuildFileException.class)
                .hasMessageContaining("thick");
        assertThat(Files.readAllBytes(path)).isEqualTo(before);
    }
}
