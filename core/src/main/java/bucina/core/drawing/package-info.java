/**
 * Line drawings that go out to and come in from other programs, and what is understood of one that comes in.
 *
 * <p>A <b>drawing</b> is a list of paths (with arcs by bulge), circles and words on named layers; coordinates are
 * nanometres, y upward. Pure; the
 * formats are read and written in the store.
 */
@NullMarked
package bucina.core.drawing;

import org.jspecify.annotations.NullMarked;
