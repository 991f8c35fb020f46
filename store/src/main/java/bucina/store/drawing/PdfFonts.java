package bucina.store.drawing;

import java.io.IOException;
import java.io.InputStream;
import java.text.Bidi;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;

/**
 * The typefaces of a document. Each letter is set in the first that has it, in the order of the script it is written
 * in; letters are not joined as Arabic and Indic scripts join them.
 */
final class PdfFonts {

    /** Letters of one typeface, in the order they stand on the page. */
    record Run(PDFont font, String text) {}

    private final PDDocument document;
    private final Iterator<Supplier<InputStream>> unopened;
    private final List<PDFont> fonts = new ArrayList<>();
    private int missing;

    /** Typefaces for a document; those behind the first are for letters it lacks, and opened where there are some. */
    PdfFonts(PDDocument document, List<Supplier<InputStream>> typefaces) throws IOException {
        this.document = document;
        unopened = typefaces.iterator();
        open();
    }

    private PDFont open() throws IOException {
        try (InputStream in = unopened.next().get()) {
            PDFont font = PDType0Font.load(document, in);
            fonts.add(font);
            return font;
        }
    }

    /** The first typeface that has a letter; empty if none has. */
    private Optional<PDFont> with(String letter) throws IOException {
        for (PDFont font : fonts) {
            if (has(font, letter)) {
                return Optional.of(font);
            }
        }
        while (unopened.hasNext()) {
            PDFont font = open();
            if (has(font, letter)) {
                return Optional.of(font);
            }
        }
        return Optional.empty();
    }

    /** How many letters no typeface has, since it was asked last. */
    int missing() {
        int since = missing;
        missing = 0;
        return since;
    }

    /** A text as runs from left to right; a question mark stands for what no typeface has. */
    List<Run> runs(String text) throws IOException {
        List<Run> runs = new ArrayList<>();
        StringBuilder now = new StringBuilder();
        PDFont font = fonts.getFirst();
        for (int c : visual(text).codePoints().toArray()) {
            String one = c < 32 ? " " : Character.toString(c);
            Optional<PDFont> has = with(one);
            missing += has.isPresent() ? 0 : 1;
            if (has.orElse(fonts.getFirst()) != font && !now.isEmpty()) {
                runs.add(new Run(font, now.toString()));
                now.setLength(0);
            }
            font = has.orElse(fonts.getFirst());
            now.append(has.isPresent() ? one : "?");
        }
        if (!now.isEmpty()) {
            runs.add(new Run(font, now.toString()));
        }
        return runs;
    }

    private static boolean has(PDFont font, String letter) {
        try {
            font.encode(letter);
            return true;
        } catch (IOException | IllegalArgumentException e) {
            return false;
        }
    }

    /** As it stands on the page: what is written from the right is turned about. */
    private static String visual(String text) {
        if (!Bidi.requiresBidi(text.toCharArray(), 0, text.length())) {
            return text;
        }
        Bidi bidi = new Bidi(text, Bidi.DIRECTION_DEFAULT_LEFT_TO_RIGHT);
        int n = bidi.getRunCount();
        byte[] levels = new byte[n];
        Integer[] order = new Integer[n];
        for (int i = 0; i < n; i++) {
            levels[i] = (byte) bidi.getRunLevel(i);
            order[i] = i;
        }
        Bidi.reorderVisually(levels, 0, order, 0, n);
        StringBuilder seen = new StringBuilder();
        IntStream.range(0, n).map(i -> order[i]).forEach(r -> {
            StringBuilder run = new StringBuilder(text.substring(bidi.getRunStart(r), bidi.getRunLimit(r)));
            seen.append(bidi.getRunLevel(r) % 2 == 1 ? run.reverse() : run);
        });
        return seen.toString();
    }
}
