/**
 * Drawings and hole tables in the formats of other programs: DXF, SVG, CSV, PDF.
 *
 * <p>Readers take any input: what they cannot use they say in a sentence ({@link bucina.core.measure.InputException})
 * or list as left out; they
 * never hang, and never hold more in memory than a few times the file. Lengths become nanometres; curves that are no
 * arcs become chords that
 * stray under 0.0005 mm. Long readings can be watched and stopped through {@link bucina.store.drawing.Progress}.
 */
@NullMarked
package bucina.store.drawing;

import org.jspecify.annotations.NullMarked;
