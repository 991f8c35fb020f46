/**
 * Bolts, washers, nuts, and the torque that goes with them.
 *
 * <p>Terms: <b>grip</b> of a bolt the length of its plain shank; <b>length</b> under the head, over all; <b>C</b> the
 * stack with all washers;
 * <b>drag</b> the torque that a self-locking nut needs to be run down, added to the torque of the table. Pure; knows
 * no plan.
 */
@NullMarked
package bucina.core.bolt;

import org.jspecify.annotations.NullMarked;
