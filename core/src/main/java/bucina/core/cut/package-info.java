/**
 * Cutting pieces from stock: bars of angle, channel and strip with a saw, and rectangles from sheets.
 *
 * <p>Terms: <b>kerf</b> what the saw takes with each cut; <b>missing</b> a piece that no stock is left for;
 * <b>bound</b> a number of bars (or sheets) that
 * no cutting can stay under. Pure; knows no plan.
 */
@NullMarked
package bucina.core.cut;

import org.jspecify.annotations.NullMarked;
