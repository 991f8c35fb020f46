/**
 * Proof of what is set: which heads are measured ({@code Sample}), how each is judged ({@code Judge}), how one is
 * drilled out and what goes in then ({@code DrillOut}). Percent are of the way round a head; lengths as
 * everywhere. Pure and safe on any thread. Nothing here is an approval: the kit's drawing governs.
 */
@NullMarked
package bucina.core.prove;

import org.jspecify.annotations.NullMarked;
