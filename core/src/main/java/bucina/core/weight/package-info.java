/** What fasteners weigh, from their shape: an estimate for the weight sheet, in pounds. Pure; knows no plan. */
@NullMarked
package bucina.core.weight;

import org.jspecify.annotations.NullMarked;
