package bucina.desk.session;

import bucina.core.drawing.Change;
import bucina.core.drawing.Drawing;
import bucina.core.drawing.Intake;
import bucina.core.drawing.Question;
import bucina.core.drawing.Revision;
import bucina.core.log.Logbook;
import bucina.core.measure.DrillTable;
import bucina.core.measure.InputException;
import bucina.core.measure.Unit;
import bucina.core.stack.FaceReading;
import bucina.store.drawing.FileUnit;
import bucina.store.drawing.Progress;
import bucina.store.drawing.Reading;
import bucina.store.drawing.TextFile;
import bucina.store.dxf.DxfReader;
import bucina.store.svg.SvgReader;
import bucina.store.table.DecimalMark;
import bucina.store.table.HoleTable;
import bucina.store.table.TableReading;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * A drawing or hole table read in, before anything changes.
 *
 * @param faces  what is understood of it, by face where a table names them; else one with an empty name
 * @param unit   the unit that lengths are taken for; empty if nobody has said one
 * @param says   the unit that the file itself says
 * @param against true if the unit is taken against what the file says
 * @param asked  what decides what comes in and nobody has said
 */
public record Bringing(
        Map<String, Intake> faces,
        Optional<Unit> unit,
        Optional<FileUnit> says,
        boolean against,
        List<Question> asked) {

    /**
     * What somebody has said about a file.
     *
     * @param unit    of figures that name none
     * @param given   true if somebody said that unit; false if it is a guess
     * @param forced  true to take the unit whatever the file says
     * @param inside  what closed lines in a sheet of another layer are
     * @param decimal what stands before decimals in a table
     */
    public record Said(
            Unit unit, boolean given, boolean forced, Optional<Intake.Inside> inside, Optional<DecimalMark> decimal) {

        /** Nothing but the unit to take where there is none. */
        public static Said nothing(Unit unit) {
            return new Said(unit, false, false, Optional.empty(), Optional.empty());
        }

        /** With a question answered as its code and answers have it. */
        public Said answered(String code, String answer) {
            return switch (code) {
                case "unit" -> new Said(answer.equals("in") ? Unit.INCH : Unit.MM, true, forced, inside, decimal);
                case "against" ->
                    answer.equals("file")
                            ? new Said(unit, false, false, inside, decimal)
                            : new Said(unit, true, true, inside, decimal);
                case "inside" ->
                    new Said(
                            unit,
                            given,
                            forced,
                            Optional.of(answer.equals("openings") ? Intake.Inside.OPENINGS : Intake.Inside.SHEETS),
                            decimal);
                default -> new Said(unit, given, forced, inside, Optional.of(DecimalMark.of(answer)));
            };
        }
    }

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
     * @throws InputException if it cannot be used
     * @throws java.util.concurrent.CancellationException if the watcher said to stop
     */
    public static Bringing read(Path path, Format format, Said said, DrillTable drills, Progress progress) {
        Map<String, Drawing> drawings;
        Optional<FileUnit> says;
        List<Question> asked = new ArrayList<>();
        if (format == Format.CSV) {
            TableReading table = HoleTable.read(TextFile.read(path), said.unit, said.decimal, drills, progress);
            drawings = table.faces();
            says = table.unit();
            table.asked().ifPresent(asked::add);
        } else {
            Reading reading = format == Format.DXF ? dxf(path, said, progress) : svg(path, said, progress);
            drawings = Map.of("", reading.drawing());
            says = reading.unit();
        }
        progress.check(0.95);
        Map<String, Intake> faces = new LinkedHashMap<>();
        drawings.forEach((face, drawing) -> faces.put(face, Intake.of(drawing, said.inside)));
        progress.check(1);
        if (says.isEmpty() && !said.given) {
            asked.addFirst(new Question("unit", "The file does not say its unit", List.of("in", "mm")));
        }
        if (format != Format.CSV && said.given && !said.forced) {
            contradiction(says, said.unit)
                    .ifPresent(sentence ->
                            asked.addFirst(new Question("against", sentence, List.of("file", said.unit.symbol()))));
        }
        faces.values().stream().flatMap(i -> i.asked().stream()).findFirst().ifPresent(asked::add);
        Optional<Unit> unit =
                said.forced || says.isEmpty() && said.given ? Optional.of(said.unit) : says.map(FileUnit::unit);
        boolean against = said.forced && contradiction(says, said.unit).isPresent();
        return new Bringing(faces, unit, says, against, asked);
    }

    private static Reading dxf(Path path, Said said, Progress progress) {
        byte[] bytes = TextFile.bytes(path);
        return said.forced ? DxfReader.as(bytes, said.unit, progress) : DxfReader.read(bytes, said.unit, progress);
    }

    private static Reading svg(Path path, Said said, Progress progress) {
        String text = TextFile.read(path);
        return said.forced ? SvgReader.as(text, said.unit, progress) : SvgReader.read(text, said.unit, progress);
    }

    /** Everything in one, faces of a table too. */
    public Intake intake() {
        return faces.size() == 1 ? faces.values().iterator().next() : Intake.together(List.copyOf(faces.values()));
    }

    /**
     * What is said of a drawing before it comes in.
     *
     * @param sentences what is understood and what is not
     * @param others    what goes into holes that are not those of the fastener chosen
     * @param changes   what it changes on a face it is laid over
     */
    public record Told(List<String> sentences, List<String> others, List<Change> changes) {}

    /**
     * Works out what is to be said; takes a while for many holes.
     *
     * @param choices what is chosen so far; empty where that cannot be read
     * @param over    the face it is laid over as a new revision; empty where it is not
     */
    public Told told(Optional<Intake.Choices> choices, Optional<FaceReading> over, Logbook log, Unit shown) {
        Intake in = intake();
        return new Told(
                in.sentences(shown),
                choices.map(c -> in.others(c, shown)).orElse(List.of()),
                over.map(face -> Revision.between(face, log, in)).orElse(List.of()));
    }

    /** What is asked where another unit is wanted than the file says; empty where they agree. */
    private static Optional<String> contradiction(Optional<FileUnit> says, Unit wanted) {
        return says.filter(s -> s.nanometres() != wanted.nanometres())
                .map(s -> "The file says its figures are " + s.name() + ", and " + wanted.symbol() + " is asked for");
    }
}
