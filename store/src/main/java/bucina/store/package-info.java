/**
 * What is kept on disk: a build's document in the program's own file and in open formats.
 *
 * <p>{@code file} is the build file (SQLite), {@code json} the whole build as text. No interface code; every failure
 * of a file is one of
 * {@link bucina.store.file.BuildFileException} with its path and what to do.
 */
@NullMarked
package bucina.store;

import org.jspecify.annotations.NullMarked;
