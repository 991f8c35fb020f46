package bucina.store.drawing;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.function.Supplier;
import org.apache.pdfbox.pdmodel.PDDocument;

/** Makes a PDF of text that flows over pages. */
final class PdfSheets {

    /** What is put on the pages. */
    interface Filling {
        void into(PdfFlow flow) throws IOException;
    }

    private PdfSheets() {}

    /**
     * Makes it.
     *
     * @param title of the document
     * @param foot  under every page
     */
    static byte[] write(String title, String foot, Paper paper, List<Supplier<InputStream>> fonts, Filling filling) {
        try (PDDocument document = new PDDocument();
                ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            document.getDocumentInformation().setTitle(title);
            try (PdfFlow flow = new PdfFlow(document, paper, new PdfFonts(document, fonts), foot)) {
                filling.into(flow);
            }
            document.save(out);
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
