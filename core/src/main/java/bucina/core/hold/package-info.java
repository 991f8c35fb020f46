/**
 * Which holes stay open, and which stay under size, worked out from the fitting order of the parts.
 *
 * <p>Terms: a hole is <b>held open</b> while a part it goes through is not in place, while a lap must be lifted for a
 * later sheet, or while the
 * drawing says so; it is <b>held under size</b> if it may not be drilled past its present size until then. Pure;
 * derived, never stored.
 */
@NullMarked
package bucina.core.hold;

import org.jspecify.annotations.NullMarked;
