/**
 * What the drawing calls for: reading a callout such as {@code 18× MS20426AD3-4}, and the queries that open where its
 * count and the holes on the
 * sheet differ. Pure; the day comes in.
 */
@NullMarked
package bucina.core.callout;

import org.jspecify.annotations.NullMarked;
