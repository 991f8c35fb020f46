/**
 * Primer and sealant that go off: which surfaces they are for, how long they still serve, how many fasteners go in
 * before that.
 *
 * <p>Terms: <b>induction</b> is the time a mixed primer stands before it may be used; <b>pot life</b> (primer) and
 * <b>work life</b> (sealant) run from mixing.
 * Pure; times come in.
 */
@NullMarked
package bucina.core.batch;

import org.jspecify.annotations.NullMarked;
