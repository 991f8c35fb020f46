package bucina.store.drawing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;

import bucina.core.drawing.Drawing;
import bucina.core.drawing.Template;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.sheet.Corner;
import bucina.core.sheet.Point;
import bucina.store.dxf.DxfReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Names on paper and in drawings that go out, and pages that are many. */
class OutNamesTest {

    /** The typefaces that ship, out of the module that carries them. */
    private static final List<Supplier<InputStream>> FONTS = Stream.of(
                    "b612-regular",
                    "dejavu-sans-condensed",
                    "droid-sans-fallback",
                    "nanum-square-regular",
                    "noto-sans-thai",
                    "noto-sans-devanagari",
                    "noto-sans-ethiopic")
            .<Supplier<InputStream>>map(name -> () -> open(name))
            .toList();

    private static InputStream open(String name) {
        try {
            return Files.newInputStream(Path.of("../desk/src/main/resources/bucina/desk/fonts", name + ".ttf"));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Template titled(String title) {
        return new Template(title, "", "from above", "right", "up", new Drawing(List.of(circle("H", 20, 20))));
    }

    private static Drawing.Circle circle(String layer, double x, double y) {
        return new Drawing.Circle(layer, new Point(x * 1e6, y * 1e6), Length.mm(2.5), Optional.of(1));
    }

    private static String text(byte[] pdf) throws IOException {
        try (PDDocument document = Loader.loadPDF(pdf)) {
            return new PDFTextStripper().getText(document);
        }
    }

    @ParameterizedTest
    @CsvSource({
        "Höhenflosse links",
        "Левый стабилизатор",
        "Αριστερό πτερύγιο",
        "左の水平安定板",
        "左侧水平安定面",
        "왼쪽 수평 안정판",
        "Şablon ğıİ ő ł ř",
        "שבלונה",
        "แพนหางซ้าย",
        "बाया",
        "ግራ",
        "Lower skin שמאל 12"
    })
    void names_in_any_script_are_printed(String name) throws IOException {
        String page = text(TemplatePdf.write(titled(name), Paper.A4, "Dunlin", FONTS));
        assertThat(page).contains(name.split(" ")).doesNotContain("Left out", "?");
    }

    @Test
    void letters_that_no_typeface_has_are_told_on_the_page() throws IOException {
        String page = text(TemplatePdf.write(titled("Rib \uA015\uA016"), Paper.A4, "Dunlin", FONTS));
        assertThat(page).contains("Rib ??", "Left out on this page: 2 letters that no typeface here has");
    }

    @Test
    void layer_names_fit_the_version_and_come_back_whole() {
        List<Drawing.Shape> shapes = new ArrayList<>();
        String[] names = {
            "SHEET-08-T635000-NOSE_RIB_2_FLANGE_FORWARD",
            "SHEET-08-T635000-NOSE_RIB_2_FLANGE_AFT",
            "Außen links",
            "0",
            "HOLES-R3-US_1"
        };
        for (int i = 0; i < names.length; i++) {
            shapes.add(circle(names[i], i * 10, 0));
        }
        String dxf = DxfWriter.write(new Drawing(shapes));
        List<String> written = dxf.replace("\r", "").lines().toList();
        List<String> layers = new ArrayList<>();
        for (int i = 0; i + 1 < written.size(); i += 2) {
            if (written.get(i).strip().equals("8")) {
                layers.add(written.get(i + 1));
            }
        }
        assertThat(layers).doesNotHaveDuplicates().allMatch(l -> l.matches("[A-Z0-9$_-]{1,31}"));
        assertThat(dxf).matches("(?s)[\\x00-\\x7f]*");
        assertThat(DxfReader.read(dxf, Unit.MM, Progress.NONE).drawing().shapes())
                .extracting(Drawing.Shape::layer)
                .containsExactly(names);
    }

    @Test
    void words_in_any_script_go_out_in_dxf_as_escapes_and_come_back() {
        Drawing words = new Drawing(List.of(new Drawing.Words("W", new Point(0, 0), Length.mm(3), "左 Höhe\nΩ")));
        assertThat(DxfReader.read(DxfWriter.write(words), Unit.MM, Progress.NONE)
                        .drawing()
                        .shapes())
                .singleElement()
                .satisfies(s -> assertThat(((Drawing.Words) s).text()).isEqualTo("左 Höhe Ω"));
    }

    @Test
    void a_drawing_without_pages_has_bars_both_ways() {
        Drawing marked = titled("Plate").marked();
        List<Drawing.Path> bars = marked.shapes().stream()
                .filter(s -> s.layer().equals("BAR"))
                .map(Drawing.Path.class::cast)
                .toList();
        assertThat(bars).extracting(p -> run(p, true), p -> run(p, false)).contains(tuple(100L, 0L), tuple(0L, 100L));
    }

    private static long run(Drawing.Path p, boolean across) {
        Corner a = p.corners().getFirst();
        Corner b = p.corners().getLast();
        return Math.round((across ? b.at().x() - a.at().x() : b.at().y() - a.at().y()) / 1e6);
    }

    private static Template many(int holes) {
        List<Drawing.Shape> shapes = new ArrayList<>();
        for (int i = 0; i < holes; i++) {
            shapes.add(circle("HOLES", i % 200 * 10, i / 200 * 10));
        }
        return new Template("Many", "", "from above", "right", "up", new Drawing(shapes));
    }

    @Test
    void each_page_holds_only_what_lies_on_it_and_progress_is_told() {
        AtomicInteger told = new AtomicInteger();
        byte[] few = TemplatePdf.write(many(200), Paper.A4, "Dunlin", FONTS);
        byte[] most = TemplatePdf.write(many(8000), Paper.A4, "Dunlin", FONTS, share -> {
            told.incrementAndGet();
            return true;
        });
        assertThat(told.get()).isGreaterThan(20);
        // Forty times the holes on more pages: in proportion, and not each on every page.
        assertThat(most.length).isLessThan(40 * few.length);
    }

    @Test
    void a_writing_that_is_stopped_leaves_nothing() {
        assertThatThrownBy(() -> TemplatePdf.write(many(8000), Paper.A4, "Dunlin", FONTS, share -> share < .5))
                .isInstanceOf(CancellationException.class)
                .hasMessageContaining("nothing was written");
    }
}
