/**
 * Laying out before drilling: stations of a row, and how far an edge may be trimmed.
 *
 * <p>Terms: <b>station</b> a running dimension from one end, so that errors do not add up; <b>pitch</b> the distance
 * of two neighbours;
 * <b>trim line</b> the hole line offset by the least edge distance, beyond which metal must stay. Pure; knows no plan.
 */
@NullMarked
package bucina.core.layout;

import org.jspecify.annotations.NullMarked;
