/**
 * Sheet materials: alloy and temper as they are stamped on the sheet. Thickness belongs to the sheet, not to the
 * material. Immutable.
 */
package bucina.core.material;
