/** What a builder types, read into changes of a build. */
@NullMarked
package bucina.core.form;

import org.jspecify.annotations.NullMarked;
