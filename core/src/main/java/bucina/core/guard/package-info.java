/**
 * What is refused, and why: marks and entries that would put a step before what it rests on.
 *
 * <p>Terms: what a hole <b>owes</b> in one sheet are the steps from drilling to dressing that come before a fastener is
 * set in it, in their order; a hole is <b>ready</b> when none is left and every sheet of its stack is on. The builder
 * can always go on with a reason, which stays in the record. Rules of the build say what is not owed at all. Pure;
 * sentences are for the builder.
 */
@NullMarked
package bucina.core.guard;

import org.jspecify.annotations.NullMarked;
