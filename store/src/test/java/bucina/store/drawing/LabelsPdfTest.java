package bucina.store.drawing;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.catalogue.CatalogueReader;
import bucina.core.plan.Build;
import bucina.core.plan.Part;
import bucina.core.refit.LookAlikes;
import bucina.core.stack.Derivation;
import bucina.store.Demo;
import com.google.zxing.BinaryBitmap;
import com.google.zxing.DecodeHintType;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.qrcode.QRCodeReader;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;

/** Labels read back: their words from the PDF, their codes from its picture. */
class LabelsPdfTest {

    private static final List<Supplier<InputStream>> FONT =
            List.of(() -> font("b612-regular"), () -> font("dejavu-sans-condensed"));

    private static InputStream font(String name) {
        try {
            return Files.newInputStream(Path.of("../desk/src/main/resources/bucina/desk/fonts", name + ".ttf"));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static final int DPI = 200;

    private final Build build = Demo.document().build();

    /** The code of a label, counted from the top left. */
    private static String code(BufferedImage page, int label) throws Exception {
        double px = DPI / 25.4;
        BufferedImage one = page.getSubimage(
                (int) ((label % 2 == 0 ? 15 : 107) * px), (int) ((16 + label / 2 * 40) * px), (int) (88 * px), (int)
                        (42 * px));
        int w = one.getWidth();
        int h = one.getHeight();
        int[] pixels = one.getRGB(0, 0, w, h, null, 0, w);
        return new QRCodeReader()
                .decode(
                        new BinaryBitmap(new HybridBinarizer(new RGBLuminanceSource(w, h, pixels))),
                        Map.of(DecodeHintType.TRY_HARDER, true))
                .getText();
    }

    @Test
    void each_label_has_the_number_of_its_part_in_words_and_as_a_code() throws Exception {
        List<Part> parts = build.parts().subList(0, 4);
        byte[] pdf = LabelsPdf.write(parts, Map.of(), build.name(), Paper.A4, FONT);
        try (PDDocument document = Loader.loadPDF(pdf)) {
            assertThat(document.getNumberOfPages()).isEqualTo(1);
            BufferedImage page = new PDFRenderer(document).renderImageWithDPI(0, DPI);
            for (int i = 0; i < parts.size(); i++) {
                assertThat(code(page, i)).isEqualTo(parts.get(i).particulars().number());
            }
            String words = new PDFTextStripper().getText(document);
            parts.forEach(
                    p -> assertThat(words).contains(p.particulars().number()).contains(p.name()));
        }
    }

    @Test
    void a_part_that_looks_like_others_says_so_and_many_go_on_over_pages() throws Exception {
        byte[] pdf = LabelsPdf.write(
                build.parts(),
                LookAlikes.of(Derivation.of(build, CatalogueReader.shipped())),
                build.name(),
                Paper.LETTER,
                FONT);
        try (PDDocument document = Loader.loadPDF(pdf)) {
            assertThat(document.getNumberOfPages()).isEqualTo((build.parts().size() + 11) / 12);
            assertThat(new PDFTextStripper().getText(document)).contains("looks like");
        }
    }
}
