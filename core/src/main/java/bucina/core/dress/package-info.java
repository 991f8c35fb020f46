/**
 * What is done to each sheet so that a flush head lies flush: dimple, countersink (a nest, if under a dimpled sheet)
 * or nothing.
 *
 * <p>Terms: <b>half angle</b> θ is half the head's cone, 50 degrees for a 100 degree head; a <b>nest</b> is the
 * countersink that takes the
 * underside of the dimpled sheets above it; the <b>judged depth</b> is the head's height plus what the dimpled sheets
 * add; the school in
 * force is held against it. A countersink never crosses a joint between sheets.
 */
@NullMarked
package bucina.core.dress;

import org.jspecify.annotations.NullMarked;
