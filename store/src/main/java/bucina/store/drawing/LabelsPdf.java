package bucina.store.drawing;

import bucina.core.plan.Hand;
import bucina.core.plan.Id;
import bucina.core.plan.Part;
import bucina.core.refit.LookAlikes;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.qrcode.decoder.ErrorCorrectionLevel;
import com.google.zxing.qrcode.encoder.ByteMatrix;
import com.google.zxing.qrcode.encoder.Encoder;
import java.io.IOException;
import java.io.InputStream;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import java.util.stream.Collectors;

/** Labels for parts, two beside each other: number, name, hand, what it looks like, and the number as a QR code. */
public final class LabelsPdf {

    private static final double HIGH = 38;
    private static final double CODE = 26;
    /** Left white around a code, more than four of its squares. */
    private static final double QUIET = 6;

    private static final double INSET = 4;
    private static final int NAMED = 3;

    private LabelsPdf() {}

    /**
     * The labels as a PDF.
     *
     * @param parts one label each
     * @param likes what each looks like; a part that looks like none is not among the keys
     */
    public static byte[] write(
            List<Part> parts,
            Map<Id.Part, List<LookAlikes>> likes,
            String build,
            Paper paper,
            List<Supplier<InputStream>> fonts) {
        return PdfSheets.write("Labels, " + build, build + ", labels of parts", paper, fonts, flow -> {
            for (int i = 0; i < parts.size(); i += 2) {
                flow.room(HIGH + 2);
                flow.down(HIGH + 2);
                label(parts.get(i), likes, flow, 0);
                if (i + 1 < parts.size()) {
                    label(parts.get(i + 1), likes, flow, 1);
                }
            }
        });
    }

    private static void label(Part part, Map<Id.Part, List<LookAlikes>> likes, PdfFlow flow, int column)
            throws IOException {
        double wide = flow.width() / 2 - 2;
        double x = PdfFlow.SIDE + column * (wide + 4);
        double y = flow.room(0);
        PdfPage page = flow.page();
        page.grey(.6).width(.2).box(x, y, wide, HIGH, false).grey(0);
        code(text(part), page, x + wide - CODE - QUIET, y + QUIET, CODE);
        double room = wide - CODE - 2 * QUIET - INSET;
        double line = y + HIGH - INSET - 4;
        page.words(x + INSET, line, fitting(page, text(part), 4.2, room), text(part));
        line -= 6;
        for (String words : page.wrapped(part.name() + hand(part), 2.6, room)) {
            page.words(x + INSET, line, 2.6, words);
            line -= 4.4;
        }
        for (String words : page.wrapped(looksLike(likes.getOrDefault(part.id(), List.of())), 1.8, room)) {
            if (line > y + INSET) {
                page.grey(.25).words(x + INSET, line, 1.8, words).grey(0);
            }
            line -= 3.2;
        }
    }

    /** How high words may be to fit. */
    private static double fitting(PdfPage page, String text, double most, double room) throws IOException {
        return Math.min(most, most * room / Math.max(room, page.wide(text, most)));
    }

    /** The number; where a part has none its name. */
    private static String text(Part part) {
        return part.particulars().number().isBlank()
                ? part.name()
                : part.particulars().number();
    }

    private static String hand(Part part) {
        return part.particulars().hand() == Hand.NONE
                ? ""
                : ", " + part.particulars().hand().word();
    }

    private static String looksLike(List<LookAlikes> likes) {
        return likes.isEmpty()
                ? ""
                : "looks like "
                        + likes.stream().limit(NAMED).map(l -> l.other().name()).collect(Collectors.joining(", "))
                        + (likes.size() > NAMED ? " and " + (likes.size() - NAMED) + " more" : "");
    }

    private static void code(String text, PdfPage page, double x, double y, double size) throws IOException {
        ByteMatrix code;
        try {
            code = Encoder.encode(text, ErrorCorrectionLevel.M, Map.of(EncodeHintType.CHARACTER_SET, "UTF-8"))
                    .getMatrix();
        } catch (WriterException e) {
            throw new IOException("\"" + text + "\" does not go into a QR code", e);
        }
        double module = size / code.getWidth();
        for (int row = 0; row < code.getHeight(); row++) {
            for (int column = 0; column < code.getWidth(); column++) {
                if (code.get(column, row) == 1) {
                    page.box(x + column * module, y + size - (row + 1) * module, module, module, true);
                }
            }
        }
    }
}
