/**
 * Lengths, units and drill sizes, and how people write them.
 *
 * <p>A {@link bucina.core.measure.Length} is held in nanometres: one inch is exactly 25 400 000 nm, 1/64 in is
 * exactly 396 875 nm and
 * .0001 in is exactly 2 540 nm, so every catalogue value and every shop fraction is exact, and sums of them stay
 * exact up to
 * thousands of kilometres. Computed lengths (a root, a sine) keep their fraction of a nanometre: nothing is rounded
 * before it is shown.
 *
 * <p>All types are immutable and safe on any thread. This package knows no rivets, no sheets and no rules.
 */
@NullMarked
package bucina.core.measure;

import org.jspecify.annotations.NullMarked;
