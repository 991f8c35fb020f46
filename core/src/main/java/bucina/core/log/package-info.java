/**
 * The log: what was installed, by whom, when; and what state each hole is in because of it.
 *
 * <p>Entries are only ever added. A correction is another entry that points at the first: it either withdraws it or
 * stands in its place.
 * An entry that another points at is no longer <b>in force</b>, and never comes back; undoing a withdrawal is a new
 * entry again.
 * The state of a hole is worked out from the entries in force and from progress marks; it is not stored.
 *
 * <p><b>Done</b> is when the work was done, by the wall clock of the shop; <b>entered</b> is when it was written
 * down. Immutable types.
 */
@NullMarked
package bucina.core.log;

import org.jspecify.annotations.NullMarked;
