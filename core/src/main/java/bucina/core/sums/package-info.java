/**
 * The sums of the bench without nodes: what each asks, what it answers, and the picture that goes with the answer.
 *
 * <p>Terms: an <b>ask</b> is one field; <b>figures</b> are what was typed; an <b>answer</b> holds the numbers with
 * their why, what is to be noted, a
 * picture in true lengths, and a flat to write out where there is one. Everything is worked out anew from the
 * figures; nothing keeps a result.
 */
@NullMarked
package bucina.core.sums;

import org.jspecify.annotations.NullMarked;
