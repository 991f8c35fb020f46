/**
 * The build file: one SQLite database for one aircraft, for years. Its tables are published in docs/format/.
 *
 * <p>One user action is one transaction; {@code synchronous=FULL} with a write-ahead log, so that when a method here
 * returns, what it wrote
 * is on the disk and survives the process being killed or the power going. Log entries are only ever added: triggers
 * in the file refuse to
 * change or delete one. Migrations keep a copy of the file before they change anything.
 *
 * <p>A {@link bucina.store.file.BuildFile} may be used from one thread at a time.
 */
@NullMarked
package bucina.store.file;

import org.jspecify.annotations.NullMarked;
