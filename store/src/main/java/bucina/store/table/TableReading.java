package bucina.store.table;

import bucina.core.drawing.Drawing;
import bucina.core.drawing.Question;
import bucina.store.drawing.FileUnit;
import java.util.Map;
import java.util.Optional;

/**
 * A table that was read.
 *
 * @param faces holes by face, as the table names them; one with an empty name where it does not
 * @param unit  the unit the table says for its places; empty if it does not
 * @param asked what the table leaves open besides; answered as well as can be until somebody says
 */
public record TableReading(Map<String, Drawing> faces, Optional<FileUnit> unit, Optional<Question> asked) {}
