package bucina.store;

import bucina.core.catalogue.CatalogueReader;
import bucina.core.demo.Dunlin;
import bucina.core.demo.DunlinHistory;
import bucina.core.log.LogEntry;
import bucina.core.log.Work;
import bucina.core.plan.Build;
import bucina.core.plan.Group;
import bucina.core.plan.Row;
import bucina.core.stack.Derivation;
import java.nio.charset.StandardCharsets;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;

/** The demonstration build and entries on it, for tests. */
public final class Demo {

    public static final Photo PHOTO = Photo.of("image/png", "not really a picture".getBytes(StandardCharsets.UTF_8));

    /** Nothing in it changes: made once for all tests of a process, when it is first wanted. */
    private static final class Made {
        private static final Document DOCUMENT = made();
    }

    private Demo() {}

    public static Document document() {
        return Made.DOCUMENT;
    }

    private static Document made() {
        var catalogue = CatalogueReader.shipped();
        Build build = Dunlin.build(catalogue.rules());
        return new Document(build, DunlinHistory.of(Derivation.of(build, catalogue)), List.of(PHOTO));
    }

    /** An entry for hole {@code n} of the trailing edge row of the upper skin. */
    public static LogEntry.Draft entry(Build build, int n, String note) {
        Group group = build.group("US-3").orElseThrow().group();
        Row row = group.rows().getFirst();
        var hole = row.holes().get(n % row.holes().size());
        return LogEntry.Draft.install(new Work(
                group.id(),
                group.code(),
                List.of(new Work.LoggedHole(hole.id(), row.label(hole))),
                1,
                "MS20426AD3-3.5",
                Optional.empty(),
                "M. Oake",
                LocalDateTime.parse("2026-11-23T10:00"),
                1,
                Work.Setup.NONE,
                List.of(),
                List.of(),
                "",
                note,
                List.of()));
    }
}
