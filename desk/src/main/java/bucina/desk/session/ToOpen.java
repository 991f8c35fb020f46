package bucina.desk.session;

import java.nio.file.Path;

/** Which build to open. */
public sealed interface ToOpen {

    /** A file. */
    record File(Path path) implements ToOpen {}

    /** The demonstration. */
    record Demo(DemoBuild.Which which, boolean fresh) implements ToOpen {}

    /** The build opened last, or the demonstration where there is none. */
    record Last() implements ToOpen {}

    /** A new build with nothing in it, in a file that is not there yet. */
    record New(Path path) implements ToOpen {}

    /**
     * A build to practise on: the demonstration, begun again each time, or a new one with nothing in it.
     *
     * @param empty true for the new one
     */
    record Practice(boolean empty) implements ToOpen {}

    /**
     * A copy, to look at it only.
     *
     * @param of the build
     */
    record Copy(Path path, Path of) implements ToOpen {}

    /** A build after a copy has taken its place. */
    record Back(Path copy, Path build) implements ToOpen {}
}
