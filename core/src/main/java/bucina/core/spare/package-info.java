/**
 * How many more of a fastener are wanted than are still to be set.
 *
 * <p>Terms: the <b>spare</b> is what is reckoned to be rejected, by the share of those driven so far. Counts, no units.
 * Pure.
 */
@NullMarked
package bucina.core.spare;

import org.jspecify.annotations.NullMarked;
