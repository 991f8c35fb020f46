/**
 * How the setting tool is set up over a face, and where that changes.
 *
 * <p>Terms: a <b>stretch</b> is the holes of one group that take one rivet at one set-up: the same length, and neither
 * their grips nor their closed gaps farther apart than the rule {@code squeezer.gap.agree}. A squeezer is reset between
 * two stretches. Pulled rivets and hardware are not squeezed: their stretches have no gap. Pure; derived, never stored.
 */
@NullMarked
package bucina.core.setup;

import org.jspecify.annotations.NullMarked;
