package bucina.store.file;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.AccessDeniedException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.List;

/*
 * Design. The database takes whatever lies beside a file under the name of its journal for its own, also what a removed
 * or replaced build left there. So a journal with something in it is tried on a copy first: it belongs to the build
 * only if the two together are sound and go on from what the build says alone.
 */

/** What lies beside a build under the names of its journals. */
final class Journals {

    private static final List<String> SUFFIXES = List.of("-wal", "-journal");
    /** Where, in the file that shares the log among processes, each that has it open holds a lock. */
    private static final long OPEN_BYTE = 128;

    /** What to do with what lies beside a build that is opened. */
    enum Beside {
        /** There is nothing: nobody has the build open. */
        NOTHING,
        /** It belongs to the build, and is read with it. */
        OWN,
        /** It does not, and cannot be moved: the build is read without. */
        FOREIGN
    }

    private Journals() {}

    private static Path beside(Path build, String suffix) {
        return build.resolveSibling(build.getFileName() + suffix);
    }

    /**
     * What lies beside a build is put aside, what is empty is removed.
     *
     * @return a sentence for each that was put aside
     */
    private static List<String> clear(Path build) throws IOException {
        List<String> said = new ArrayList<>();
        for (String suffix : SUFFIXES) {
            Path journal = beside(build, suffix);
            if (Files.exists(journal) && Files.size(journal) > 0) {
                Path aside = free(journal);
                Files.move(journal, aside);
                said.add(journal.getFileName() + " lay beside " + build
                        + " and belongs to another build: it was put aside as " + aside.getFileName() + ".");
            }
            Files.deleteIfExists(journal);
        }
        Files.deleteIfExists(beside(build, "-shm"));
        return said;
    }

    private static Path free(Path journal) {
        for (int i = 1; ; i++) {
            Path aside = journal.resolveSibling(journal.getFileName() + ".aside-" + i);
            if (!Files.exists(aside)) {
                return aside;
            }
        }
    }

    /**
     * When a build is opened: what is not its own is put aside.
     *
     * @param said gets a sentence for each that was
     * @throws BuildFileException if the build is damaged; it is not touched
     */
    static Beside settle(Path build, List<String> said) throws IOException {
        boolean any = false;
        boolean filled = false;
        for (String suffix : SUFFIXES) {
            Path journal = beside(build, suffix);
            any |= Files.exists(journal);
            filled |= Files.exists(journal) && Files.size(journal) > 0;
        }
        if (!any) {
            return Beside.NOTHING;
        }
        if (!filled || open(build) || own(build)) {
            return Beside.OWN;
        }
        try {
            said.addAll(clear(build));
            return Beside.NOTHING;
        } catch (AccessDeniedException e) {
            return Beside.FOREIGN;
        }
    }

    /** True if the journal goes on from the build, or mends it. */
    private static boolean own(Path build) throws IOException {
        Scratch.Held alone = Scratch.held(build, List.of());
        Scratch.Held together = Scratch.held(build, SUFFIXES);
        if (!alone.sound() && !together.sound()) {
            throw Troubles.damaged(build, "neither alone nor with the journal beside it does it make sense", null);
        }
        return together.sound() && (!alone.sound() || together.goesOnFrom(alone));
    }

    /** True if this process or another one has the build open. */
    private static boolean open(Path build) throws IOException {
        if (OpenFiles.has(build)) {
            return true;
        }
        Path shared = beside(build, "-shm");
        if (!Files.isWritable(shared)) {
            return false;
        }
        try (FileChannel channel = FileChannel.open(shared, StandardOpenOption.WRITE);
                FileLock lock = channel.tryLock(OPEN_BYTE, 1, false)) {
            return lock == null;
        } catch (OverlappingFileLockException e) {
            return true;
        }
    }
}
