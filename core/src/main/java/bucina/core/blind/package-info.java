/**
 * Pulled (blind) rivets: which length grips a stack, and how much room it needs behind.
 *
 * <p>Terms: a length has a <b>grip range</b>, ends included; an unset body <b>stands</b> {@code L - G} behind the
 * stack, and the mandrel head
 * beyond it: that sum is what must be free. A 120 degree flush length is over all, head included. Figures shipped are
 * typical: the
 * maker's table governs. Cutting {@code x} off a body shifts its range down by {@code x}. Pure.
 */
@NullMarked
package bucina.core.blind;

import org.jspecify.annotations.NullMarked;
