/** What a gauge sends: lines of text, each a reading or not. The format is in docs/format/gauge.md. */
@NullMarked
package bucina.core.gauge;

import org.jspecify.annotations.NullMarked;
