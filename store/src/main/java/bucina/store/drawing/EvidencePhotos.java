package bucina.store.drawing;

import bucina.core.log.Deed;
import bucina.core.log.LogEntry;
import bucina.core.plan.Pin;
import bucina.store.Photo;
import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;

/** Photographs of the evidence, one in memory at a time. */
final class EvidencePhotos {

    private static final double PICTURE = 60;

    private final EvidencePdf.Source source;
    private final List<Shown> shown;

    EvidencePhotos(EvidencePdf.Source source, List<LogEntry> entries) {
        this.source = source;
        this.shown = shown(entries);
    }

    /** How many there are. */
    int count() {
        return shown.size();
    }

    /** A picture with what is said of it. */
    private record Shown(String hash, String says) {}

    private List<Shown> shown(List<LogEntry> entries) {
        Map<String, String> says = new LinkedHashMap<>();
        for (LogEntry entry : entries) {
            for (String hash : entry.deed().map(Deed::photos).orElse(List.of())) {
                says.merge(hash, "entry " + entry.id(), (a, b) -> a + ", " + b);
            }
        }
        if (source.assembly().isEmpty()) {
            for (Pin pin : source.derivation().build().workshop().pins()) {
                String words = pin.name()
                        + (pin.says().isBlank() ? "" : ": " + pin.says())
                        + pin.taken()
                                .map(t -> ", taken " + t.toString().replace('T', ' '))
                                .orElse("");
                says.merge(pin.photo(), words, (a, b) -> b + ", " + a);
            }
        }
        List<Shown> shown = new ArrayList<>();
        says.forEach((hash, words) -> shown.add(new Shown(hash, words)));
        return shown;
    }

    /** Writes them. */
    void write(PDDocument document, PdfFlow flow, Runnable step) throws IOException {
        flow.heading("Photographs", 3.4);
        if (shown.isEmpty()) {
            flow.text("None.");
        }
        int column = 0;
        double top = 0;
        for (Shown each : shown) {
            step.run();
            Optional<Photo> photo = source.photos().apply(each.hash);
            if (column == 0) {
                top = flow.room(PICTURE + 12) - 2;
            }
            double x = PdfFlow.SIDE + column * (flow.width() / 2 + 2);
            flow.page().picture(image(document, photo), x, top, flow.width() / 2 - 2, PICTURE);
            flow.page().words(x, top - PICTURE - 3, 1.7, cut(flow.page(), each.says, flow.width() / 2 - 2));
            flow.page()
                    .grey(.35)
                    .words(x, top - PICTURE - 6, 1.5, each.hash.substring(0, 16))
                    .grey(0);
            column = 1 - column;
            if (column == 0) {
                flow.down(PICTURE + 10);
            }
        }
        if (column == 1) {
            flow.down(PICTURE + 10);
        }
    }

    private static String cut(PdfPage page, String text, double most) throws IOException {
        return page.wrapped(text, 1.7, most).getFirst();
    }

    /** A photograph as it may be put on a page; empty where this program cannot draw its kind. */
    private static Optional<PDImageXObject> image(PDDocument document, Optional<Photo> photo) {
        try {
            return photo.isEmpty()
                    ? Optional.empty()
                    : Optional.of(PDImageXObject.createFromByteArray(
                            document, photo.get().content(), photo.get().sha256()));
        } catch (IOException | IllegalArgumentException e) {
            return Optional.empty();
        }
    }
}
