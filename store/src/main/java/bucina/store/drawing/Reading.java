package bucina.store.drawing;

import bucina.core.drawing.Drawing;
import java.util.Optional;

/**
 * A drawing that was read.
 *
 * @param drawing what was drawn
 * @param unit    the unit the file says; empty if it does not: then {@code drawing} took it for the unit handed in
 */
public record Reading(Drawing drawing, Optional<FileUnit> unit) {}
