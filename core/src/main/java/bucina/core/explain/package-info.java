/** Every number with its formula, its figures and its source, in words. */
@NullMarked
package bucina.core.explain;

import org.jspecify.annotations.NullMarked;
