/**
 * The build file: one SQLite database for one aircraft, for years. Its tables are published in docs/format/.
 *
 * <p>One user action is one transaction. When a method here returns, what it wrote is in the one file, on the disk,
 * and survives the process being killed or the power going; a copy of the one file has it. Log entries are only ever
 * added: triggers in the file refuse to change or delete one. Migrations keep a copy of the file before they change
 * anything.
 *
 * <p>A {@link bucina.store.file.BuildFile} may be used from one thread at a time.
 */
@NullMarked
package bucina.store.file;

import org.jspecify.annotations.NullMarked;
