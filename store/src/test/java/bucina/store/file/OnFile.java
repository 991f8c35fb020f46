package bucina.store.file;

import bucina.store.Demo;
import bucina.store.Document;
import java.nio.file.Path;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.io.TempDir;

/** A test on a build file of its own that holds the demonstration. */
abstract class OnFile {

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
