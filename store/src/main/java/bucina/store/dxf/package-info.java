/**
 * Reads DXF. {@code PairSource} gives group codes with their values, from text of any code or from the binary form;
 * {@code Entity} is what stands between two zeros; {@code Curves} makes of an entity what is drawn, placed where its
 * block is inserted; {@code Joiner} puts together what meets; {@code Rounds} finds the circles. Places are nm, in the
 * plane of the drawing seen from above.
 */
@NullMarked
package bucina.store.dxf;

import org.jspecify.annotations.NullMarked;
