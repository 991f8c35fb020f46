/**
 * Bulletins: changes by the maker are recorded as the plan is edited, and can be switched off and on to see the
 * difference.
 *
 * <p>The plan always holds the values in force; a bulletin holds the others. Pure.
 */
@NullMarked
package bucina.core.bulletin;

import org.jspecify.annotations.NullMarked;
