package bucina.store.drawing;

import bucina.core.measure.Unit;

/**
 * The unit a file says.
 *
 * @param name        as people call it: {@code centimetres}
 * @param nanometres  of one
 * @param unit        in which lengths of such a drawing are shown
 */
public record FileUnit(String name, double nanometres, Unit unit) {}
