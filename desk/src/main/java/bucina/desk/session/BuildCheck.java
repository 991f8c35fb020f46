package bucina.desk.session;

import bucina.store.Chain;
import bucina.store.file.BuildFile;
import bucina.store.file.DeepCheck;
import bucina.store.file.FileState;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/**
 * Whether a build's file is what was written, page by page and row by row, and its log entry by entry.
 *
 * @param good  what is as it should be, a sentence each
 * @param wrong what is not
 */
public record BuildCheck(List<String> good, List<String> wrong) {

    public BuildCheck {
        good = List.copyOf(good);
        wrong = List.copyOf(wrong);
    }

    /**
     * Goes through the file; takes as long as it is large.
     *
     * @throws bucina.store.file.BuildFileException if it is damaged
     */
    public static BuildCheck of(Path path) {
        List<String> good = new ArrayList<>();
        List<String> wrong = new ArrayList<>();
        good.add(file(path));
        try (BuildFile file = BuildFile.openToRead(path)) {
            file.read();
            List<Chain.Text> entries = file.entries();
            FileState.Chained says = file.state().chain();
            Chain.Verified found = Chain.verify(entries, says.entries(), says.heads());
            if (found.broken().isEmpty()) {
                good.add(entries.size()
                        + " entries, each bound to the one before: none was changed, moved or taken out.");
            } else {
                wrong.add("The log is not what was written: " + found.why() + ".");
            }
        }
        return new BuildCheck(good, wrong);
    }

    /**
     * That the file is what was written, in a sentence.
     *
     * @throws bucina.store.file.BuildFileException if it is not
     */
    public static String file(Path path) {
        int photos = DeepCheck.of(path);
        return "The file is what was written: every page, every row, "
                + (photos == 1 ? "1 photograph." : photos + " photographs.");
    }

    /** That a log of so many entries is what was written, in a sentence. */
    public static String bound(int entries) {
        return entries + " entries, each bound to the one before: none was changed, moved or taken out.";
    }
}
