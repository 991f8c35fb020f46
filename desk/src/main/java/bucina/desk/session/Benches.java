package bucina.desk.session;

import bucina.core.measure.InputException;
import bucina.store.Merge;
import bucina.store.file.BuildFile;
import bucina.store.file.BuildFileException;
import java.nio.file.Path;
import java.time.LocalDate;

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
        return merged;
    }
}
