/**
 * What is noted before an assembly is taken apart, so that it goes together again as it was: parts that also go on
 * another way want an index mark, and the
 * assembly is measured as it stands.
 *
 * <p>Terms: a part that lies the same after a turn, turned over, or in the place of another is <b>ambiguous</b>; an
 * <b>index mark</b> tells its ways apart.
 * Lengths in nm, angles in degrees. Pure.
 */
@NullMarked
package bucina.core.refit;

import org.jspecify.annotations.NullMarked;
