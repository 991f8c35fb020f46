/**
 * What there is and what is wanted: hardware by designation from the kit, bought, used, rejected and still to be set
 * ({@link bucina.core.stores.Balance}), what to order with its spare, and what runs out first.
 */
@NullMarked
package bucina.core.stores;

import org.jspecify.annotations.NullMarked;
