package bucina.store.file;

import bucina.core.log.Addition;
import bucina.core.log.Mark;
import bucina.store.Demo;
import bucina.store.Document;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.io.TempDir;

/** A test on a build file of its own that holds the demonstration. */
abstract class OnFile {

    /** Writes marks down, told what others have written. */
    static List<Mark> mark(BuildFile file, Function<Optional<BuildFile.Contents>, List<Mark>> asked) {
        return file.add(others -> Addition.ofMarks(asked.apply(others)), List.of(), Clock.systemUTC())
                .marks();
    }

    @TempDir
    Path folder;

    Path path;
    final Document demo = Demo.document();

    @BeforeEach
    void file() {
        path = folder.resolve("dunlin one.bucina");
        BuildFile.create(path, demo).close();
    }
}
