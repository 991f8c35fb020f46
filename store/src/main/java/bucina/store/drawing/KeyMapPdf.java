package bucina.store.drawing;

import java.io.IOException;
import java.io.InputStream;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;

/** The keyboard map on paper, for the wall. */
public final class KeyMapPdf {

    private static final double[] WIDTHS = {34, 0};

    private KeyMapPdf() {}

    /**
     * The map as a PDF.
     *
     * @param places what each key does, key first, by where it works
     */
    public static byte[] write(
            Map<String, List<Map.Entry<String, String>>> places, Paper paper, List<Supplier<InputStream>> fonts) {
        return PdfSheets.write(
                "Keyboard map",
                "Bucina, keyboard map. A key means one thing in every room; a held key changes nothing twice.",
                paper,
                fonts,
                flow -> pages(places, flow));
    }

    private static void pages(Map<String, List<Map.Entry<String, String>>> places, PdfFlow flow) throws IOException {
        flow.heading("KEYBOARD MAP", 6);
        for (Map.Entry<String, List<Map.Entry<String, String>>> place : places.entrySet()) {
            flow.gap(2).row(List.of("", place.getKey()), WIDTHS, true);
            for (Map.Entry<String, String> key : place.getValue()) {
                flow.row(List.of(key.getKey(), key.getValue()), WIDTHS, false);
            }
        }
    }
}
