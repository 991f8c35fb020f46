/** A build with all that follows from it and how far it has come. */
@NullMarked
package bucina.core.state;

import org.jspecify.annotations.NullMarked;
