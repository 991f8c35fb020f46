/**
 * Parts and their life: how each stands on every face it lies on, what is owed to it, and what looks like it.
 *
 * <p>Terms: a part is <b>on for good</b> on a face from the first permanent fastener that goes through it there, or
 * where the builder says so; screws and other hardware that comes out again never make it so. What is <b>owed</b> to a
 * part is work on the part as one thing, such as deburring its edges. Pure; derived, never stored.
 */
@NullMarked
package bucina.core.part;

import org.jspecify.annotations.NullMarked;
