package bucina.desk.session;

import bucina.core.drawing.Drawing;
import bucina.core.drawing.Intake;
import bucina.core.measure.DrillTable;
import bucina.core.measure.InputException;
import bucina.core.measure.Unit;
import bucina.store.drawing.DxfReader;
import bucina.store.drawing.HoleCsv;
import bucina.store.drawing.Progress;
import bucina.store.drawing.SvgReader;
import bucina.store.drawing.TextFile;
import java.nio.file.Path;
import java.util.Locale;
import java.util.Optional;

/**
 * A drawing or hole table read in, before anything changes.
 *
 * @param intake what is understood of it
 * @param unit   the unit the file names; empty if it names none
 */
public record Bringing(Intake intake, Optional<Unit> unit) {

    /** Formats that are brought in. */
    public enum Format {
        DXF,
        SVG,
        CSV;

        /** The format with this name. */
        public static Format of(String name) {
            return switch (name.toLowerCase(Locale.ROOT)) {
                case "dxf" -> DXF;
                case "svg" -> SVG;
                case "csv", "txt", "tsv" -> CSV;
                default ->
                    throw new InputException(
                            "\"" + name + "\" is not a format that is brought in: use json, dxf, svg or csv");
            };
        }

        /** The format of a file by its ending. */
        public static Format of(Path path) {
            String name = path.getFileName().toString();
            return of(name.substring(name.lastIndexOf('.') + 1));
        }
    }

    /**
     * Reads a file.
     *
     * @param unit taken where the file names none
     * @throws InputException if it cannot be used
     * @throws java.util.concurrent.CancellationException if the watcher said to stop
     */
    public static Bringing read(Path path, Format format, Unit unit, DrillTable drills, Progress progress) {
        String text = TextFile.read(path);
        Optional<Unit> said = Optional.of(unit);
        Drawing drawing;
        switch (format) {
            case DXF -> {
                DxfReader.Reading reading = DxfReader.read(text, unit, progress);
                drawing = reading.drawing();
                said = reading.unit();
            }
            case SVG -> drawing = SvgReader.read(text, unit, progress);
            default -> drawing = HoleCsv.read(text, unit, drills, progress);
        }
        progress.check(0.95);
        Intake intake = Intake.of(drawing);
        progress.check(1);
        return new Bringing(intake, said);
    }
}
