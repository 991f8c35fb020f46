/**
 * The order of work: a feasible order of the open jobs that loses little time between them, a bound on what any order
 * loses, the order as drawn, and rings of demands that no order meets. Minutes. Pure; any thread.
 */
@NullMarked
package bucina.core.order;

import org.jspecify.annotations.NullMarked;
