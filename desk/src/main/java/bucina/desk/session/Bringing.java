package bucina.desk.session;

import bucina.core.drawing.Drawing;
import bucina.core.drawing.Intake;
import bucina.core.measure.DrillTable;
import bucina.core.measure.InputException;
import bucina.core.measure.Unit;
import bucina.store.drawing.HoleCsv;
import bucina.store.drawing.Progress;
import bucina.store.drawing.SvgReader;
import bucina.store.drawing.TextFile;
import bucina.store.dxf.DxfReader;
import bucina.store.dxf.FileUnit;
import java.nio.file.Path;
import java.util.Locale;
import java.util.Optional;

/**
 * A drawing or hole table read in, before anything changes.
 *
 * @param intake what is understood of it
 * @param unit   the unit that lengths are taken for; empty if nobody has said one
 * @param says   the unit that the file itself says
 */
public record Bringing(Intake intake, Optional<Unit> unit, Optional<FileUnit> says) {

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
        return read(path, format, unit, false, drills, progress);
    }

    /**
     * Reads a file.
     *
     * @param forced true to take the unit whatever the file says
     */
    public static Bringing read(
            Path path, Format format, Unit unit, boolean forced, DrillTable drills, Progress progress) {
        Optional<Unit> taken = Optional.of(unit);
        Optional<FileUnit> says = Optional.empty();
        Drawing drawing;
        switch (format) {
            case DXF -> {
                DxfReader.Reading reading = forced
                        ? DxfReader.as(TextFile.bytes(path), unit, progress)
                        : DxfReader.read(TextFile.bytes(path), unit, progress);
                drawing = reading.drawing();
                says = reading.unit();
                taken = forced ? taken : says.map(FileUnit::unit);
            }
            case SVG -> drawing = SvgReader.read(TextFile.read(path), unit, progress);
            default -> drawing = HoleCsv.read(TextFile.read(path), unit, drills, progress);
        }
        progress.check(0.95);
        Intake intake = Intake.of(drawing);
        progress.check(1);
        return new Bringing(intake, taken, says);
    }

    /**
     * What is asked where another unit is wanted than the file says; empty where they agree.
     *
     * @param wanted as somebody said
     */
    public Optional<String> contradiction(Unit wanted) {
        return says.filter(s -> s.nanometres() != wanted.nanometres())
                .map(s -> "the file says its figures are " + s.name() + ", and " + wanted.symbol() + " is asked for");
    }
}
