package bucina.desk.session;

import bucina.core.catalogue.CatalogueReader;
import bucina.core.guard.Bays;
import bucina.core.log.Logbook;
import bucina.core.measure.InputException;
import bucina.core.part.PartStates;
import bucina.core.stack.Derivation;
import bucina.store.Merge;
import bucina.store.file.BuildFile;
import bucina.store.file.BuildFileException;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.Stream;

/** Two benches' files of one build, brought together. */
public final class Benches {

    private Benches() {}

    /**
     * Writes what two files hold into a new one; both stay as they are.
     *
     * @param to    where nothing lies yet
     * @param today on which the bulletins of what differs are dated
     * @throws InputException     if the two share no history
     * @throws BuildFileException if one cannot be read or the new one not written
     */
    public static Merge.Merged together(Path one, Path other, Path to, LocalDate today) {
        try (BuildFile a = BuildFile.openToRead(one);
                BuildFile b = BuildFile.openToRead(other)) {
            return together(a, b, to, today);
        }
    }

    /** Two files that are open. */
    public static Merge.Merged together(BuildFile a, BuildFile b, Path to, LocalDate today) {
        Merge.Side one = new Merge.Side(a.document(), a.state().plans());
        Merge.Side two = new Merge.Side(b.document(), b.state().plans());
        String first = a.state().build();
        String second = b.state().build();
        Merge.checkShared(one, two, first, second);
        Merge.Merged merged = Merge.of(one, two, today);
        BuildFile.create(to, merged, first.compareTo(second) < 0 ? first : second)
                .close();
        return new Merge.Merged(merged.document(), merged.plans(), said(merged));
    }

    /** What there is to know, and which bays one bench shut over what the other has open. */
    private static List<String> said(Merge.Merged merged) {
        Derivation derivation = Derivation.of(merged.document().build(), CatalogueReader.shipped());
        Logbook log = merged.document().log();
        Bays bays = new Bays(derivation, log, PartStates.of(derivation, log));
        return Stream.concat(
                        merged.said().stream(), bays.shutAllTheSame().stream().map(b -> b + "."))
                .toList();
    }
}
