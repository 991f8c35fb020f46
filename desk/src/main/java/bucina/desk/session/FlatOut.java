package bucina.desk.session;

import bucina.core.drawing.Template;
import bucina.core.measure.InputException;
import bucina.store.drawing.DxfWriter;
import bucina.store.drawing.Paper;
import bucina.store.drawing.SvgWriter;
import bucina.store.drawing.TemplatePdf;
import bucina.store.file.BuildFileException;
import bucina.store.file.OutFile;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.Locale;

/** Writes a flat in true size; the ending of the file says how. */
public final class FlatOut {

    private FlatOut() {}

    /**
     * Writes a flat; a file that is there already is left as it is.
     *
     * @param name  what it is for; blank for what the sum calls it
     * @param build name of the build, for the head of each page
     * @param file  ends with {@code .pdf}, {@code .dxf} or {@code .svg}
     * @throws InputException if it ends otherwise
     */
    public static Path write(Template flat, String name, String build, Paper paper, String file) {
        String clean = file.strip();
        check(clean);
        Template titled = name.isBlank() ? flat : titled(flat, name.strip());
        byte[] content = content(titled, clean.substring(clean.length() - 3).toLowerCase(Locale.ROOT), paper, build);
        Path to = Places.file(clean, "flat.pdf");
        try {
            OutFile.write(to, content, false);
        } catch (BuildFileException e) {
            throw new InputException(e.getMessage(), e);
        }
        return to;
    }

    private static void check(String clean) {
        if (!clean.toLowerCase(Locale.ROOT).matches("(?s).+\\.(pdf|dxf|svg)")) {
            throw new InputException(
                    "\"" + clean + "\" is no file for a flat: end it with .pdf, .dxf or .svg, like flat.pdf");
        }
    }

    /** The flat under another name. */
    public static Template titled(Template flat, String name) {
        return new Template(
                name + ", flat", flat.hand(), flat.viewed(), flat.xToward(), flat.yToward(), flat.drawing());
    }

    /** The flat as {@code pdf}, {@code dxf} or {@code svg}. */
    public static byte[] content(Template flat, String format, Paper paper, String build) {
        return switch (format) {
            case "pdf" -> TemplatePdf.write(flat, paper, build, Printing.FONTS);
            case "dxf" -> DxfWriter.write(flat.marked()).getBytes(StandardCharsets.UTF_8);
            default -> SvgWriter.write(flat.marked()).getBytes(StandardCharsets.UTF_8);
        };
    }
}
