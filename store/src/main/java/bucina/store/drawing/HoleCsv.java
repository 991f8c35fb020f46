package bucina.store.drawing;

import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/** Writes hole tables, in millimetres. */
public final class HoleCsv {

    private HoleCsv() {}

    /** The holes of a face as a table; text that a spreadsheet would take for a formula is made harmless. */
    public static String write(List<HoleReading> readings) {
        return write(List.of(new Page("", readings)), false);
    }

    /** The holes of several faces as one table, the name of the face in the first column. */
    public static String writeFaces(List<FaceReading> faces) {
        return write(
                faces.stream().map(f -> new Page(f.face().name(), f.readings())).toList(), true);
    }

    private record Page(String face, List<HoleReading> readings) {}

    private static String write(List<Page> pages, boolean named) {
        StringBuilder out = new StringBuilder();
        try (CSVPrinter csv = new CSVPrinter(out, CSVFormat.RFC4180)) {
            List<Object> titles =
                    List.of("face", "row", "hole", "group", "x_mm", "y_mm", "diameter_mm", "grip_mm", "use");
            csv.printRecord(titles.subList(named ? 0 : 1, titles.size()));
            for (Page page : pages) {
                for (HoleReading r : page.readings) {
                    List<Object> line = line(page.face, r);
                    csv.printRecord(line.subList(named ? 0 : 1, line.size()));
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toString();
    }

    private static List<Object> line(String face, HoleReading r) {
        return List.of(
                safe(face),
                safe(r.row().name()),
                r.hole().label(),
                safe(r.group().code()),
                DxfWriter.mm(r.hole().at().x()),
                DxfWriter.mm(r.hole().at().y()),
                DxfWriter.mm(r.solution().hole().nanometres()),
                DxfWriter.mm(r.solution().grip().nanometres()),
                safe(r.solution().called()));
    }

    /** Text with an apostrophe before it where it begins like a formula. */
    static String safe(String text) {
        return !text.isEmpty() && "=+-@\t\r\n|%".indexOf(text.charAt(0)) >= 0 ? "'" + text : text;
    }
}
