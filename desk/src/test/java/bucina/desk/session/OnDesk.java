package bucina.desk.session;

import bucina.core.stack.HoleReading;
import java.nio.file.Path;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.io.TempDir;

/** A desk with the demonstration open, for tests of what the window knows. */
abstract class OnDesk {

    @TempDir
    Path folder;

    Session session;
    Desk desk;

    @BeforeEach
    void open() {
        session = Sessions.demo(folder);
        desk = Sessions.desk(session, folder);
    }

    @AfterEach
    void close() {
        session.close();
    }

    HoleReading hole(String label) {
        return desk.face().readings().stream()
                .filter(r -> r.label().equals(label))
                .findFirst()
                .orElseThrow();
    }
}
