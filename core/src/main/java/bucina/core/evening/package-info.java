/**
 * One evening at the bench: which jobs fit into the hours there are, what to lay out, where to stop, what a slip costs.
 * Minutes and hours; lengths carry their unit. Pure; any thread.
 */
@NullMarked
package bucina.core.evening;

import org.jspecify.annotations.NullMarked;
