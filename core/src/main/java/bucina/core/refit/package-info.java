/**
 * What is noted before an assembly is taken apart, so that it goes together again as it was: parts that also go on
 * another way want an index mark, and the
 * assembly is measured as it stands.
 *
 * <p>And how a part sits that is put on: how far it can {@link bucina.core.refit.Swing} on the holes it hangs on, and
 * the {@link bucina.core.refit.Misfit} of one whose holes do not meet.
 *
 * <p>Terms: a part that lies the same after a turn, turned over, or in the place of another is <b>ambiguous</b>; an
 * <b>index mark</b> tells its ways apart.
 * Lengths in nm, angles in degrees. Pure.
 */
@NullMarked
package bucina.core.refit;

import org.jspecify.annotations.NullMarked;
