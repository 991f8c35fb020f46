/**
 * Sheet materials: alloy and temper as they are stamped on the sheet. Thickness belongs to the sheet, not to the
 * material. Immutable.
 */
@NullMarked
package bucina.core.material;

import org.jspecify.annotations.NullMarked;
